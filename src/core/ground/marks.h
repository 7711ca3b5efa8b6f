// From what a person marks on a picture to the ground: the true vertical from upright edges.
#pragma once
#include "core/body/points.h"
#include <span>

namespace bevel {

/// A line along something that stands upright in the room: a door frame, a hanging cord. Ends in pixels, in any order.
struct UprightMark {
    double x0 = 0, y0 = 0, x1 = 0, y1 = 0;
};

/// Weighted least squares of the tilt over the column (see VerticalOnPicture); each end is taken to be set to a pixel and a half. With one
/// line, or lines at the same place, the change across the picture rests on the camera's pitch, which is taken as level with a sigma of ten
/// degrees at a usual focal length. Nothing for lines shorter than a tenth of the picture's height or lying flatter than 45 degrees.
std::optional<VerticalOnPicture> vertical_from(std::span<const UprightMark> marks, int width, int height);

} // namespace bevel
