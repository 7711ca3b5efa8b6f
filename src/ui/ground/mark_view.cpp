#include "ui/ground/mark_view.h"
#include "ui/paint/body.h"
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>

namespace bevel::ui {

MarkView::MarkView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("markView"));
    setAccessibleName(tr("Frame to mark"));
    setAccessibleDescription(tr(
        "Enter begins a line, the arrows move its end, Tab changes the end, Enter takes it, Escape leaves it. Corners and edges: Enter "
        "brings a cross, the arrows move it, Enter sets a point, End finishes an edge, Backspace takes the last point back. With points: "
        "Page Up and Page Down choose one, the arrows move it, with Ctrl the whole body; Ctrl and Page Up or Page Down make it larger or "
        "smaller."));
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(360, 240);
}

void MarkView::show_frame(const QImage& picture, const std::optional<BodyPx>& body, const std::optional<VerticalOnPicture>& vertical,
                          const ExtraPoints& extra) {
    picture_ = picture;
    body_ = body;
    vertical_ = vertical;
    extras_ = extra;
    if (!body_) held_.reset();
    if (tool_ == MarkTool::points && !held_) choose_point(0);
    if (held_) held_at_ = {(*body_)[*held_].x, (*body_)[*held_].y};
    update();
}

void MarkView::set_tool(MarkTool tool) {
    tool_ = tool;
    drawing_.reset();
    held_.reset();
    clicked_.clear();
    cross_.reset();
    if (tool == MarkTool::points) choose_point(0);
    update();
}

void MarkView::hold(std::optional<Point> point) {
    held_ = point;
    if (held_ && body_) held_at_ = {(*body_)[*held_].x, (*body_)[*held_].y};
    update();
}

void MarkView::set_extra(std::optional<Extra> extra) {
    extra_ = extra;
    setCursor(extra ? Qt::CrossCursor : Qt::ArrowCursor);
}

void MarkView::show_marks(const GroundMarks& marks) {
    marks_ = marks;
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
    hold(static_cast<Point>(((held_ ? static_cast<int>(*held_) : static_cast<int>(left_ankle)) + by + n) % n));
}

/// A corner, or a point of an edge.
void MarkView::set_click(QPointF px) {
    clicked_ << px;
    if (tool_ == MarkTool::mat && clicked_.size() == 4) {
        const std::array<QPointF, 4> all{clicked_[0], clicked_[1], clicked_[2], clicked_[3]};
        clicked_.clear();
        cross_.reset();
        emit cornered(all);
    }
    update();
}

void MarkView::end_edge() {
    if (tool_ != MarkTool::edge || clicked_.size() < 3) return;
    const auto all = std::exchange(clicked_, {});
    cross_.reset();
    emit edged(all);
    update();
}

void MarkView::mousePressEvent(QMouseEvent* e) {
    if (picture_.isNull()) return;
    const QPointF px = to_picture(e->position());
    if (tool_ == MarkTool::points && extra_) {
        emit extra_marked(*extra_, px);
    } else if (tool_ == MarkTool::points && body_ && (e->modifiers() & Qt::ControlModifier) != 0) {
        whole_from_ = px;
        whole_by_ = QPointF();
    } else if (tool_ == MarkTool::points) {
        hold(point_at(e->position()));
    } else if (clicks()) {
        if (e->button() == Qt::RightButton) { // the last one was not meant
            if (!clicked_.isEmpty()) clicked_.removeLast();
        } else {
            set_click(px);
        }
    } else {
        drawing_ = {px, px};
    }
    update();
}

void MarkView::mouseDoubleClickEvent(QMouseEvent* e) {
    if (clicks())
        end_edge(); // the first press of the two set the last point
    else
        mousePressEvent(e);
}

void MarkView::mouseMoveEvent(QMouseEvent* e) {
    if (whole_from_)
        whole_by_ = to_picture(e->position()) - *whole_from_;
    else if (tool_ == MarkTool::points && held_ && !extra_)
        held_at_ = to_picture(e->position());
    else if (drawing_)
        drawing_->second = to_picture(e->position());
    update();
}

void MarkView::mouseReleaseEvent(QMouseEvent* e) {
    if (clicks()) return;
    mouseMoveEvent(e);
    if (std::exchange(whole_from_, std::nullopt)) {
        const QPointF by = *std::exchange(whole_by_, std::nullopt);
        if (!by.isNull()) emit body_moved(by, 1);
        return;
    }
    if (tool_ == MarkTool::points) {
        if (held_ && !extra_ && body_) {
            const QPointF was((*body_)[*held_].x, (*body_)[*held_].y), off = to_view(held_at_) - to_view(was);
            if (std::hypot(off.x(), off.y()) > 1) // a click alone chooses
                emit moved(*held_, held_at_);
            else
                held_at_ = was;
        }
        return;
    }
    if (!drawing_) return;
    const auto [a, b] = *std::exchange(drawing_, std::nullopt);
    if (std::hypot(a.x() - b.x(), a.y() - b.y()) > 8) emit marked({a.x(), a.y(), b.x(), b.y()});
    update();
}

void MarkView::wheelEvent(QWheelEvent* e) {
    if (tool_ != MarkTool::points || !body_ || (e->modifiers() & Qt::ControlModifier) == 0 || e->angleDelta().y() == 0) return e->ignore();
    emit body_moved({}, e->angleDelta().y() > 0 ? 1.02 : 1 / 1.02);
    e->accept();
}

bool MarkView::event(QEvent* e) {
    if (e->type() == QEvent::ShortcutOverride) {
        const int k = static_cast<QKeyEvent*>(e)->key();
        const bool arrows = k >= Qt::Key_Left && k <= Qt::Key_Down, pages = k == Qt::Key_PageUp || k == Qt::Key_PageDown;
        const bool clicking = clicks() && (k == Qt::Key_End || k == Qt::Key_Backspace);
        if (k == Qt::Key_Return || k == Qt::Key_Enter || (k == Qt::Key_Escape && (drawing_ || cross_ || !clicked_.isEmpty())) ||
            (arrows && (drawing_ || held_ || cross_ || (tool_ == MarkTool::points && body_))) || (pages && tool_ == MarkTool::points) ||
            clicking) {
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
    const bool enter = k == Qt::Key_Return || k == Qt::Key_Enter;
    const bool whole = (e->modifiers() & Qt::ControlModifier) != 0;
    if (tool_ == MarkTool::points) {
        if (whole && body_ && (k == Qt::Key_PageUp || k == Qt::Key_PageDown)) {
            emit body_moved({}, k == Qt::Key_PageUp ? 1.02 : 1 / 1.02);
            return;
        }
        if (whole && body_ && !by.isNull()) {
            emit body_moved(by, 1);
            return;
        }
        if (k == Qt::Key_PageUp || k == Qt::Key_PageDown) return choose_point(k == Qt::Key_PageUp ? -1 : 1);
        if (!by.isNull() && held_) {
            held_at_ += by;
            emit moved(*held_, held_at_);
            return;
        }
    } else if (clicks()) {
        if (enter && !picture_.isNull()) {
            if (cross_)
                set_click(*cross_);
            else
                cross_ = QPointF(0.5 * picture_.width(), 0.8 * picture_.height());
            return update();
        }
        if (k == Qt::Key_End) return end_edge();
        if (k == Qt::Key_Backspace && !clicked_.isEmpty()) {
            clicked_.removeLast();
            return update();
        }
        if (k == Qt::Key_Escape) {
            clicked_.clear();
            cross_.reset();
            return update();
        }
        if (!by.isNull() && cross_) {
            *cross_ += by;
            return update();
        }
    } else if (enter) {
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

void MarkView::paint_marks(QPainter& p) const {
    const Palette& c = session_.theme.palette;
    auto polyline = [&](const QVector<QPointF>& points, const QColor& colour, bool closed, bool active) {
        for (const auto& [pen, wide] : {std::pair{QColor(Qt::white), 4.0}, {colour, 2.0}}) {
            p.setPen(QPen(pen, wide));
            for (int i = 0; i + 1 < points.size(); ++i) p.drawLine(to_view(points[i]), to_view(points[i + 1]));
            if (closed) p.drawLine(to_view(points.back()), to_view(points.front()));
        }
        p.setBrush(active ? colour : QColor(Qt::white));
        for (const QPointF& q : points) p.drawEllipse(to_view(q), 4, 4);
    };
    for (const auto& u : marks_.uprights) polyline({{u.x0, u.y0}, {u.x1, u.y1}}, c.accent, false, false);
    if (const auto& s = marks_.layers.scale) polyline({{s->x0, s->y0}, {s->x1, s->y1}}, c.edge, false, false);
    if (marks_.mat) {
        QVector<QPointF> corners;
        for (const auto& q : marks_.mat->corners) corners << QPointF(q.x(), q.y());
        polyline(corners, c.edge, true, false);
    }
    for (const auto& edge : marks_.edges) {
        QVector<QPointF> points;
        for (const auto& q : edge) points << QPointF(q.x(), q.y());
        polyline(points, c.accent, false, false);
    }
    if (drawing_) polyline({drawing_->first, drawing_->second}, c.focus, false, true);
    if (!clicked_.isEmpty()) polyline(clicked_, c.focus, false, true);
    if (cross_) {
        const QPointF q = to_view(*cross_);
        p.setPen(QPen(Qt::white, 4));
        for (const auto& [a, b] : {std::pair{QPointF(-12, 0), QPointF(12, 0)}, {QPointF(0, -12), QPointF(0, 12)}}) p.drawLine(q + a, q + b);
        p.setPen(QPen(c.focus, 2));
        for (const auto& [a, b] : {std::pair{QPointF(-12, 0), QPointF(12, 0)}, {QPointF(0, -12), QPointF(0, 12)}}) p.drawLine(q + a, q + b);
    }
}

void MarkView::paint_points(QPainter& p, const BodyPx& b) const {
    const Palette& c = session_.theme.palette;
    for (std::size_t i = 0; i < b.size(); ++i) {
        const bool sure = b[i].visibility >= 0.5;
        p.setPen(QPen(held_ && *held_ == static_cast<Point>(i) ? c.focus : sure ? c.inside : c.outside, 2));
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(to_view({b[i].x, b[i].y}), 5, 5);
    }
    for (const auto& e : extras_) {
        if (!e) continue;
        const QPointF q = to_view({e->x(), e->y()});
        p.setPen(QPen(Qt::white, 4));
        p.drawRect(QRectF(q - QPointF(4, 4), QSizeF(8, 8)));
        p.setPen(QPen(c.accent, 2));
        p.drawRect(QRectF(q - QPointF(4, 4), QSizeF(8, 8)));
    }
}

/// The place of the chosen point four times as large, in the corner that is farthest from it.
void MarkView::paint_loupe(QPainter& p, const BodyPx& b) const {
    if (!held_) return;
    const double side = std::clamp(0.28 * std::min(width(), height()), 110.0, 190.0);
    const QPointF at = to_view(held_at_);
    const QRectF r = shown();
    const QRectF glass(at.x() > r.center().x() ? r.left() + 8 : r.right() - side - 8, r.top() + 8, side, side);
    const double part = 0.25 * side * picture_.width() / r.width(); // of the picture, px
    const QRectF source(held_at_.x() - part / 2, held_at_.y() - part / 2, part, part);
    p.save();
    p.setClipRect(glass);
    p.fillRect(glass, session_.theme.palette.sheet);
    p.setRenderHint(QPainter::SmoothPixmapTransform, false); // pixels as they are
    p.drawImage(glass, picture_, source);
    p.setRenderHint(QPainter::SmoothPixmapTransform, true);
    const QPointF m = glass.center();
    p.setPen(QPen(session_.theme.palette.focus, 1.5));
    p.drawLine(m - QPointF(12, 0), m + QPointF(12, 0));
    p.drawLine(m - QPointF(0, 12), m + QPointF(0, 12));
    p.setPen(session_.theme.palette.ink);
    QColor veil = session_.theme.palette.sheet;
    veil.setAlphaF(0.86F);
    const QString name = text::point(*held_) + (b[*held_].visibility < 0.5 ? tr(", unsure") : QString());
    const QRectF tag(glass.left(), glass.bottom() - p.fontMetrics().height() - 4, glass.width(), p.fontMetrics().height() + 4);
    p.fillRect(tag, veil);
    p.drawText(tag, Qt::AlignCenter, p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(tag.width()) - 6));
    p.restore();
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(session_.theme.palette.line, 1));
    p.drawRect(glass);
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
        if (vertical_ && tool_ != MarkTool::points) { // where the true vertical is taken to lie
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
            if (whole_by_)
                for (auto& q : b) q.x += whole_by_->x(), q.y += whole_by_->y();
            draw_body(
                p, b, std::nullopt,
                [&](double x, double y) {
                    return to_view({x, y});
                },
                session_.theme, 1.6);
            if (tool_ == MarkTool::points) {
                paint_points(p, b);
                paint_loupe(p, b);
            }
        }
        paint_marks(p);
    }
    p.setBrush(Qt::NoBrush);
    p.setPen(hasFocus() ? QPen(c.focus, 2) : QPen(c.line, 1));
    p.drawRect(rect().adjusted(1, 1, -2, -2));
}

} // namespace bevel::ui
