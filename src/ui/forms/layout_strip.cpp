#include "ui/forms/layout_strip.h"
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

namespace bevel::ui {

LayoutStrip::LayoutStrip(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("layoutStrip"));
    setAccessibleName(tr("The clip with the phases laid out on it"));
    setAccessibleDescription(
        tr("Left and Right move along the clip, with Shift by a second; Up and Down choose a border, Ctrl with Left and "
           "Right moves it"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setMinimumHeight(session_.theme.wide(130));
}

void LayoutStrip::show_clip(std::shared_ptr<const Evidence> of) {
    of_ = std::move(of);
    duration_ = of_ && of_->motion.frames() > 0 ? of_->motion.time_s.back() : 0;
    update();
}

void LayoutStrip::set_layout_of(const Layout& layout) {
    layout_ = layout;
    chosen_ = std::clamp(chosen_, -1, static_cast<int>(layout.phases.size()) - 1);
    update();
}

void LayoutStrip::choose(int border) {
    chosen_ = std::clamp(border, -1, static_cast<int>(layout_.phases.size()) - 1);
    update();
    emit chosen_changed(chosen_);
}

QRectF LayoutStrip::area() const {
    return QRectF(rect()).adjusted(10, 24, -10, -18);
}
double LayoutStrip::x_of(double t) const {
    const QRectF r = area();
    return r.left() + (duration_ > 0 ? t / duration_ : 0) * r.width();
}
double LayoutStrip::time_at(double x) const {
    const QRectF r = area();
    return std::clamp((x - r.left()) / std::max(1.0, r.width()), 0.0, 1.0) * duration_;
}
double LayoutStrip::border_time(int border) const {
    return border < 0 ? layout_.from_s : layout_.phases[static_cast<std::size_t>(border)].end_s;
}

std::optional<int> LayoutStrip::border_at(double x) const {
    std::optional<int> best;
    double near = 7;
    for (int b = -1; b < static_cast<int>(layout_.phases.size()); ++b)
        if (const double d = std::abs(x_of(border_time(b)) - x); d < near) near = d, best = b;
    return best;
}

double LayoutStrip::allowed(int border, double t) const {
    constexpr double least = 0.1;
    const int last = static_cast<int>(layout_.phases.size()) - 1;
    const double low = border < 0 ? 0 : border_time(border - 1) + least,
                 high = border == last ? duration_ : border_time(border + 1) - least;
    return std::clamp(t, low, std::max(low, high));
}

void LayoutStrip::set_at(double t) {
    at_ = std::clamp(t, 0.0, duration_);
    update();
    emit moved_to(at_);
}

void LayoutStrip::mousePressEvent(QMouseEvent* e) {
    dragged_ = layout_.phases.empty() ? std::nullopt : border_at(e->position().x());
    if (dragged_) choose(*dragged_);
    set_at(dragged_ ? border_time(*dragged_) : time_at(e->position().x()));
}

void LayoutStrip::mouseMoveEvent(QMouseEvent* e) {
    if (e->buttons() == Qt::NoButton)
        return setCursor(!layout_.phases.empty() && border_at(e->position().x()) ? Qt::SizeHorCursor : Qt::ArrowCursor);
    const double t = time_at(e->position().x());
    if (dragged_) {
        const double to = allowed(*dragged_, t);
        (*dragged_ < 0 ? layout_.from_s : layout_.phases[static_cast<std::size_t>(*dragged_)].end_s) = to;
        return set_at(to);
    }
    set_at(t);
}

void LayoutStrip::mouseReleaseEvent(QMouseEvent*) {
    if (const auto b = std::exchange(dragged_, std::nullopt)) emit asked(*b, border_time(*b));
}

void LayoutStrip::keyPressEvent(QKeyEvent* e) {
    const int step = e->key() == Qt::Key_Left ? -1 : e->key() == Qt::Key_Right ? 1 : 0;
    if (step != 0 && (e->modifiers() & Qt::ControlModifier) != 0 && !layout_.phases.empty()) {
        const double to = allowed(chosen_, border_time(chosen_) + 0.05 * step);
        emit asked(chosen_, to);
        return set_at(to);
    }
    if (step != 0) return set_at(at_ + step * ((e->modifiers() & Qt::ShiftModifier) != 0 ? 1 : 0.1));
    if ((e->key() == Qt::Key_Up || e->key() == Qt::Key_Down) && !layout_.phases.empty()) {
        choose(chosen_ + (e->key() == Qt::Key_Up ? -1 : 1));
        return set_at(border_time(chosen_));
    }
    QWidget::keyPressEvent(e);
}

void LayoutStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    const QRectF r = area();
    p.setFont(session_.theme.font(9.5));
    if (!of_) {
        p.setPen(c.faint);
        p.drawText(rect(), Qt::AlignCenter, tr("Choose a clip"));
        return;
    }
    const Motion& m = of_->motion;
    auto curve = [&](const QColor& colour, double width, const std::function<double(std::size_t)>& value) {
        double low = 1e9, high = -1e9;
        for (std::size_t k = 0; k < m.frames(); ++k)
            if (const double v = m.valid[k] ? value(k) : NAN; std::isfinite(v)) low = std::min(low, v), high = std::max(high, v);
        if (high - low < 1e-6) return;
        QPainterPath path;
        bool pen = false;
        for (std::size_t k = 0; k < m.frames(); ++k) {
            const double v = m.valid[k] ? value(k) : NAN;
            if (!std::isfinite(v)) {
                pen = false;
                continue;
            }
            const QPointF at(x_of(m.time_s[k]), r.bottom() - 4 - (r.height() - 8) * (v - low) / (high - low));
            pen ? path.lineTo(at) : path.moveTo(at);
            pen = true;
        }
        p.setPen(QPen(colour, width));
        p.setBrush(Qt::NoBrush);
        p.drawPath(path);
    };
    if (!layout_.phases.empty())
        p.fillRect(QRectF(QPointF(x_of(layout_.from_s), r.top()), QPointF(x_of(layout_.to_s()), r.bottom())), c.paper);
    const auto* weight = of_->measures.find("weight.left");
    if (weight) curve(c.faint, 1, [&](std::size_t k) { return weight->samples[k].present() ? weight->samples[k].value : NAN; });
    curve(c.ink, 1.4, [&](std::size_t k) { return mid(m.m[k], left_hip).y(); });
    curve(c.left, 1.4, [&](std::size_t k) { return m.m[k][left_wrist].y(); });
    curve(c.right, 1.4, [&](std::size_t k) { return m.m[k][right_wrist].y(); });
    double left = layout_.from_s;
    for (std::size_t i = 0; i < layout_.phases.size(); ++i) {
        const auto& ph = layout_.phases[i];
        const QRectF box(QPointF(x_of(left), 4), QPointF(x_of(ph.end_s), 22));
        p.setPen(c.ink);
        p.drawText(box.adjusted(3, 0, -1, 0), Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(QString::number(i + 1), Qt::ElideRight, static_cast<int>(box.width()) - 3));
        left = ph.end_s;
    }
    for (int b = -1; b < static_cast<int>(layout_.phases.size()); ++b) {
        p.setPen(QPen(b == chosen_ ? c.accent : c.line, b == chosen_ ? 3 : 2));
        p.drawLine(QPointF(x_of(border_time(b)), r.top() - 4), QPointF(x_of(border_time(b)), r.bottom()));
    }
    p.setPen(QPen(c.focus, 2));
    p.drawLine(QPointF(x_of(at_), r.top() - 6), QPointF(x_of(at_), r.bottom() + 4));
    // What the lines are, below them.
    double x = r.left();
    for (const auto& [words, colour] :
         {std::pair{tr("hips"), c.ink}, {tr("left hand"), c.left}, {tr("right hand"), c.right}, {tr("weight"), c.faint}}) {
        p.setPen(colour);
        p.drawText(QPointF(x, height() - 4.0), words);
        x += p.fontMetrics().horizontalAdvance(words) + 14;
    }
    p.setPen(c.faint);
    p.drawText(QRectF(r.left(), height() - 18.0, r.width(), 16), Qt::AlignRight | Qt::AlignVCenter, text::time(at_));
    if (hasFocus()) {
        p.setPen(QPen(c.focus, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

} // namespace bevel::ui
