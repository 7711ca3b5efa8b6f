// Two clips of one performance, filmed at once from two sides, or one clip by itself: one body in the room.
#pragma once
#include "core/fit/fit.h"

namespace bevel {

struct Together {
    Motion motion; // of the first clip's frames; view three_d, with cameras as far as they were placed
    FittedBody body;
    Clocks clocks;
};

/// `first`, `second`: raw tracks of pixels. `most_offset_s`: how far apart their clocks may be. `heard`: what their sound says of the
/// clocks (core/fit/sounds.h); they are not sought in the movement then, but what is seen must still be one performance at that offset.
/// cannot_judge: as make_motion of either clip, "apart" (they show no common performance, or do not fit one body); cancelled.
Result<Together> put_together(const Track& first, const Track& second, const MotionOptions& options, double most_offset_s = 60,
                              std::stop_token stop = {}, const std::optional<Clocks>& heard = {});

/// One body fitted to one clip: where the camera stands obliquely, constant lengths, feet that stay on a floor and joints that bend one way
/// tell what no single picture shows. `raw`: as for put_together. cannot_judge: as make_motion, "apart" (what is found keeps no lengths).
Result<FittedBody> fit_alone(const Track& raw, const MotionOptions& options, std::stop_token stop = {});

/// The body of a fit on a clip's frames, as a motion; errors, floor, facing and neutral as of points in metres.
Result<Motion> motion_of(const FittedBody& body, const Motion& first, const MotionOptions& options);

} // namespace bevel
