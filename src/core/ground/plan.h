// The camera from what is marked on the floor and along straight edges.
#pragma once
#include "core/body/points.h"
#include "core/result.h"

namespace bevel {

/// Four corners of a mat or of tiles on the floor, px, in order around it, the first side `wide_m` long and the next `long_m`.
struct FloorMark {
    std::array<Vec2, 4> corners;
    double wide_m = 0, long_m = 0;
};
/// What is known of the camera besides: used with the sigma it has.
struct CameraPrior {
    int width = 0, height = 0;                 // of the picture, px
    std::optional<double> focal_px;            // as the file states it, to 2 %
    std::optional<VerticalOnPicture> vertical; // of the room or marked
    double distortion = 0;                     // k, taken out of the corners first
};

/// Focal length, pitch, roll and height of the camera by least squares over the eight coordinates, each set to a pixel and a half, with
/// what is usual of cameras as a prior (focal length 0.82 of the longer side to 28 %, pitch 2 +- 7 degrees, roll 0 +- 3, none on the
/// place); the covariance is that of the fit. The corners' place and turn on the floor are found with it. bad_value "corners" when they do
/// not lie on a floor seen from above (crossed, in one line, above the horizon) or when no camera shows such a rectangle so: the misfit is
/// above four pixels.
Result<CameraPlan> plan_from(const FloorMark& mark, const CameraPrior& prior);

/// Points clicked along an edge that is straight in the room, px, at least three.
using StraightEdge = std::vector<Vec2>;
/// Distortion by which all edges come out straightest; each point set to a pixel, 0 +- 0.02 beforehand. Nothing without an edge of three
/// points over a tenth of the picture's width.
std::optional<LensBend> lens_from(const std::vector<StraightEdge>& edges, int width, int height);

/// Length on the floor between two pixels, m, as the plan has it: what is shown beside a marked line.
std::optional<double> floor_length(const CameraPlan& plan, const Vec2& a, const Vec2& b, int width, int height, double distortion = 0);

} // namespace bevel
