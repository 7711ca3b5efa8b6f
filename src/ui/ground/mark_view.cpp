#include "ui/ground/mark_view.h"
#include "ui/paint/body.h"
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace bevel::ui {

MarkView::MarkView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("markView"));
    setAccessibleName(tr("Frame to mark"));
    setAccessibleDescription(
        tr("Enter begins a line, the arrows move its end, Tab changes the end, Enter takes it, Escape leaves it. With points: "
           "Page Up and Page Down choose one, the arrows move it."));
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(360, 240);
}

void MarkView::show_frame(const QImage& picture, const std::optional<BodyPx>& body, const std::optional<VerticalOnPicture>& vertical) {
    picture_ = picture;
    body_ = body;
    vertical_ = vertical;
    if (!body_) held_.reset();
    update();
}

void MarkView::set_tool(MarkTool tool) {
    tool_ = tool;
    drawing_.reset();
    held_.reset();
    if (tool == MarkTool::points) choose_point(0);
    update();
}

void MarkView::set_lines(const std::vector<UprightMark>& uprights, const std::optional<MarkedLength>& length) {
    uprights_ = uprights;
    length_ = length;
    update();
}

QRectF MarkView::shown() const {
    if (picture_.isNull()) return {};
    const QSizeF s = QSizeF(picture_.size()).scaled(size(), Qt::KeepAspectRatio);
    return {QPointF(width() - s.width(), height() - s.height()) / 2, s};
}

QPointF MarkView::to_view(QPointF px) const {
    const QRectF r = shown();
    return {r.left() + px.x() * r.width() / picture_.width(), r.top() + px.y() * r.height() / picture_.height()};
}

QPointF MarkView::to_picture(QPointF at) const {
    const QRectF r = shown();
    if (r.isEmpty()) return {};
    return {(at.x() - r.left()) * picture_.width() / r.width(), (at.y() - r.top()) * picture_.height() / r.height()};
}

std::optional<Point> MarkView::point_at(QPointF at) const {
    std::optional<Point> best;
    double near = 14;
    for (std::size_t i = 0; body_ && i < body_->size(); ++i) {
        const QPointF p = to_view({(*body_)[i].x, (*body_)[i].y});
        const double d = std::hypot(p.x() - at.x(), p.y() - at.y());
        if (d < near) near = d, best = static_cast<Point>(i);
    }
    return best;
}

void MarkView::choose_point(int by) {
    if (!body_) return;
    const int n = static_cast<int>(body_->size());
    held_ = static_cast<Point>(((held_ ? static_cast<int>(*held_) : static_cast<int>(left_ankle)) + by + n) % n);
    held_at_ = {(*body_)[*held_].x, (*body_)[*held_].y};
    update();
}

void MarkView::mousePressEvent(QMouseEvent* e) {
    if (picture_.isNull()) return;
    if (tool_ == MarkTool::points) {
        held_ = point_at(e->position());
        if (held_) held_at_ = {(*body_)[*held_].x, (*body_)[*held_].y};
    } else {
        drawing_ = {to_picture(e->position()), to_picture(e->position())};
    }
    update();
}

void MarkView::mouseMoveEvent(QMouseEvent* e) {
    if (tool_ == MarkTool::points && held_)
        held_at_ = to_picture(e->position());
    else if (drawing_)
        drawing_->second = to_picture(e->position());
    update();
}

void MarkView::mouseReleaseEvent(QMouseEvent* e) {
    mouseMoveEvent(e);
    if (tool_ == MarkTool::points) {
        if (held_) emit moved(*held_, held_at_);
        return;
    }
    if (!drawing_) return;
    const auto [a, b] = *std::exchange(drawing_, std::nullopt);
    if (std::hypot(a.x() - b.x(), a.y() - b.y()) > 8) emit marked({a.x(), a.y(), b.x(), b.y()});
    update();
}

bool MarkView::event(QEvent* e) {
    if (e->type() == QEvent::ShortcutOverride) {
        const int k = static_cast<QKeyEvent*>(e)->key();
        const bool arrows = k >= Qt::Key_Left && k <= Qt::Key_Down, pages = k == Qt::Key_PageUp || k == Qt::Key_PageDown;
        if (k == Qt::Key_Return || k == Qt::Key_Enter || (k == Qt::Key_Escape && drawing_) || (arrows && (drawing_ || held_)) ||
            (pages && tool_ == MarkTool::points)) {
            e->accept();
            return true;
        }
    }
    if (e->type() == QEvent::KeyPress && drawing_) { // Tab changes the end, as long as a line is being drawn
        const int k = static_cast<QKeyEvent*>(e)->key();
        if (k == Qt::Key_Tab || k == Qt::Key_Backtab) {
            second_end_ = !second_end_;
            update();
            return true;
        }
    }
    return QWidget::event(e);
}

void MarkView::keyPressEvent(QKeyEvent* e) {
    const int k = e->key();
    const double step = (e->modifiers() & Qt::ShiftModifier) != 0 ? 10 : 1;
    const QPointF by(k == Qt::Key_Left ? -step : k == Qt::Key_Right ? step : 0, k == Qt::Key_Up ? -step : k == Qt::Key_Down ? step : 0);
    if (tool_ == MarkTool::points) {
        if (k == Qt::Key_PageUp || k == Qt::Key_PageDown) return choose_point(k == Qt::Key_PageUp ? -1 : 1);
        if (!by.isNull() && held_) {
            held_at_ += by;
            emit moved(*held_, held_at_);
            return;
        }
    } else if (k == Qt::Key_Return || k == Qt::Key_Enter) {
        if (drawing_) {
            const auto [a, b] = *std::exchange(drawing_, std::nullopt);
            emit marked({a.x(), a.y(), b.x(), b.y()});
        } else if (!picture_.isNull()) { // a line in the middle, to be moved
            const double w = picture_.width(), h = picture_.height();
            drawing_ = tool_ == MarkTool::upright ? std::pair{QPointF(w / 2, 0.3 * h), QPointF(w / 2, 0.7 * h)}
                                                  : std::pair{QPointF(0.35 * w, 0.8 * h), QPointF(0.65 * w, 0.8 * h)};
            second_end_ = true;
        }
        return update();
    } else if (k == Qt::Key_Escape && drawing_) {
        drawing_.reset();
        return update();
    } else if (!by.isNull() && drawing_) {
        (second_end_ ? drawing_->second : drawing_->first) += by;
        return update();
    }
    QWidget::keyPressEvent(e);
}

void MarkView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    if (picture_.isNull()) {
        p.setPen(c.faint);
        p.drawText(rect(), Qt::AlignCenter, tr("The picture is being made …"));
    } else {
        p.drawImage(shown(), picture_);
        if (vertical_) { // where the true vertical is taken to lie
            p.setPen(QPen(QColor(255, 255, 255, 170), 1, Qt::DashLine));
            for (const double share : {0.15, 0.5, 0.85}) {
                const double x = share * picture_.width(), h = picture_.height();
                const double tilt = std::tan(vertical_->roll + vertical_->slope * (x - 0.5 * picture_.width()));
                p.drawLine(to_view({x + tilt * 0.5 * h, 0}), to_view({x - tilt * 0.5 * h, h}));
            }
        }
        if (body_) {
            BodyPx b = *body_;
            if (held_) b[*held_].x = held_at_.x(), b[*held_].y = held_at_.y();
            draw_body(
                p, b, std::nullopt,
                [&](double x, double y) {
                    return to_view({x, y});
                },
                session_.theme, 1.6);
            if (tool_ == MarkTool::points) {
                for (std::size_t i = 0; i < b.size(); ++i) {
                    const bool sure = b[i].visibility >= 0.5;
                    p.setPen(QPen(held_ && *held_ == static_cast<Point>(i) ? c.focus : sure ? c.inside : c.outside, 2));
                    p.setBrush(Qt::NoBrush);
                    p.drawEllipse(to_view({b[i].x, b[i].y}), 5, 5);
                }
            }
        }
        auto line = [&](QPointF a, QPointF b, const QColor& colour, bool active) {
            p.setPen(QPen(Qt::white, 4));
            p.drawLine(to_view(a), to_view(b));
            p.setPen(QPen(colour, 2));
            p.drawLine(to_view(a), to_view(b));
            p.setBrush(active ? colour : Qt::white);
            for (const QPointF& q : {a, b}) p.drawEllipse(to_view(q), 4, 4);
        };
        for (const auto& u : uprights_) line({u.x0, u.y0}, {u.x1, u.y1}, c.accent, false);
        if (length_) line({length_->x0, length_->y0}, {length_->x1, length_->y1}, c.edge, false);
        if (drawing_) line(drawing_->first, drawing_->second, c.focus, true);
    }
    p.setBrush(Qt::NoBrush);
    p.setPen(hasFocus() ? QPen(c.focus, 2) : QPen(c.line, 1));
    p.drawRect(rect().adjusted(1, 1, -2, -2));
}

} // namespace bevel::ui
