// The body in the room, seen from any side: only where more than one camera, or points in metres, tell it.
#pragma once
#include "core/review/review.h"
#include "ui/paint/theme.h"

namespace bevel::ui {

/// From where the room is looked at: to the student's own left, and from above; degrees.
struct RoomLook {
    double azimuth_deg = 35, above_deg = 12;
};

/// The body of a frame over its floor (grid 25 cm), about the middle of its feet; sides in their colours, what is nearer drawn over what is
/// farther; the body's centre with its plumb line; the reference at the same moment, dashed, on the same place. `reference_s`: NaN for
/// none.
void draw_room(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, double reference_s, const RoomLook& look,
               const Theme& theme);

} // namespace bevel::ui
