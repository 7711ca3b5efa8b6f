// A stretch of a clip in slow motion, close about the body; lines drawn or not, who it is hidden or not. Without sound and tags.
#pragma once
#include "core/review/review.h"
#include "ui/paint/theme.h"
#include <filesystem>
#include <functional>
#include <stop_token>

namespace bevel::ui {

struct SlowClip {
    double from_s = 0, to_s = 0;
    double slower = 3;            // times
    std::optional<Family> family; // whose lines are drawn; none without
    bool hide = false;
    std::uintmax_t most_bytes = 0; // smaller and coarser until it is no larger; 0: as it comes
};

/// The phase in which a finding shows most, with half a second before and after.
SlowClip stretch_of(const Finding& f, const Review& review);

/// H.264 in MP4. `track`: points as they are drawn. Frames on which who it is cannot be hidden surely are left out.
/// too_large "clip" where even the smallest is larger than `most_bytes`: nothing is left there then.
Result<bool> write_slow_clip(const std::filesystem::path& file, const std::filesystem::path& clip, const Track& track, const SlowClip& what,
                             const Theme& theme, const std::stop_token& stop = {}, const std::function<void(double)>& progress = {});

} // namespace bevel::ui
