// The body in the room, turned by the mouse or the arrow keys.
#pragma once
#include "ui/paint/room.h"
#include "ui/review/review_state.h"
#include "ui/shell/session.h"
#include <QWidget>

namespace bevel::ui {

class RoomView : public QWidget {
    Q_OBJECT
public:
    RoomView(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    const RoomLook& look() const { return look_; }
    /// Degrees; from above between the floor and straight down.
    void look_from(double azimuth_deg, double above_deg);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    const Session& session_;
    ReviewState& state_;
    RoomLook look_;
    QPointF held_;
};

} // namespace bevel::ui
