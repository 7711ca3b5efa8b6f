// Hand-held shake taken out against the background, and points followed through the pictures.
#pragma once
#include "media/clip.h"
#include <functional>

namespace bevel {

/// From each frame's pixels to those of the frame in the middle of the clip that most of the background was seen from.
struct Steadied {
    std::vector<Steady> frames; // one a frame of the clip
    double residual_px = 0;     // what is left in the background, median over frames, px
    double most_px = 0;         // how far the background was moved, 95th percentile over frames, px
};

/// The background's corners outside the body's box are followed from frame to frame by optical flow (pyramidal Lucas and Kanade), and a
/// homography against the frame they were first seen on is found by RANSAC; when half of them are gone new ones are taken and the
/// homographies chained. On one thread. cannot_judge "no_background" when too little of it can be followed, "camera_walks" when what is
/// left is more than a fiftieth of the body's height: the camera changed its place, which no mapping of the picture takes out.
Result<Steadied> steady_clip(const std::filesystem::path& file, const Track& track, const std::stop_token& stop = {},
                             const std::function<void(double)>& progress = {});

/// A point marked by hand on two frames, followed through those between them, forward from the first and backward from the last; where the
/// two agree they are joined, weighed by how near each mark is. The frames between, in order; `unsure` where they are further apart than a
/// fiftieth of `height_px` or the flow was lost: those are joined to the straight way between their neighbours.
struct Followed {
    std::uint32_t frame = 0;
    Vec2 at = Vec2::Zero();
    bool unsure = false;
};
/// bad_value "frames" when there are none between, more than 600, or more pixels than fit in 800 MB.
Result<std::vector<Followed>> follow_point(const std::filesystem::path& file, std::uint32_t first, const Vec2& from, std::uint32_t last,
                                           const Vec2& to, double height_px, const std::stop_token& stop = {},
                                           const std::function<void(double)>& progress = {});

/// Several points at once, as many in `from` as in `to`; the pictures are read once.
Result<std::vector<std::vector<Followed>>> follow_points(const std::filesystem::path& file, std::uint32_t first,
                                                         const std::vector<Vec2>& from, std::uint32_t last, const std::vector<Vec2>& to,
                                                         double height_px, const std::stop_token& stop = {},
                                                         const std::function<void(double)>& progress = {});

} // namespace bevel
