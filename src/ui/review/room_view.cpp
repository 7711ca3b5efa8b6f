#include "ui/review/room_view.h"
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace bevel::ui {

RoomView::RoomView(const Session& session, ReviewState& state, QWidget* parent) : QWidget(parent), session_(session), state_(state) {
    setObjectName(QStringLiteral("roomView"));
    setAccessibleName(tr("The body in the room"));
    setToolTip(tr("Drag, or Shift with the arrow keys, to look from another side; the dashed lines are the reference"));
    setFocusPolicy(Qt::TabFocus);
    setMinimumSize(140, 140);
    connect(&state, &ReviewState::frame_changed, this, qOverload<>(&QWidget::update));
}

void RoomView::look_from(double azimuth_deg, double above_deg) {
    look_ = {std::remainder(azimuth_deg, 360), std::clamp(above_deg, 0.0, 90.0)};
    update();
}

void RoomView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    if (!state_.open) return;
    const auto frame = state_.shown();
    draw_room(p, QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), *state_.open->review, frame,
              frame < state_.reference_s.size() ? state_.reference_s[frame] : NAN, look_, session_.theme);
    if (!hasFocus()) return;
    p.setPen(QPen(session_.theme.palette.focus, 2));
    p.drawRect(rect().adjusted(1, 1, -2, -2));
}

void RoomView::mousePressEvent(QMouseEvent* e) {
    held_ = e->position();
}

void RoomView::mouseMoveEvent(QMouseEvent* e) {
    const QPointF by = e->position() - std::exchange(held_, e->position());
    look_from(look_.azimuth_deg + 0.6 * by.x(), look_.above_deg + 0.4 * by.y());
}

void RoomView::keyPressEvent(QKeyEvent* e) {
    if (!(e->modifiers() & Qt::ShiftModifier)) return QWidget::keyPressEvent(e); // plain arrows step through the clip
    constexpr double step = 10;
    switch (e->key()) {
    case Qt::Key_Left:
        return look_from(look_.azimuth_deg - step, look_.above_deg);
    case Qt::Key_Right:
        return look_from(look_.azimuth_deg + step, look_.above_deg);
    case Qt::Key_Up:
        return look_from(look_.azimuth_deg, look_.above_deg + step);
    case Qt::Key_Down:
        return look_from(look_.azimuth_deg, look_.above_deg - step);
    default:
        QWidget::keyPressEvent(e);
    }
}

} // namespace bevel::ui
