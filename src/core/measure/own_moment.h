// A person's own neutral and comfortable range, told from a clip that the instructor names for it.
#pragma once
#include "core/measure/measures.h"
#include <functional>

namespace bevel {

/// What stands at a moment of a clip: each part that can be told there (median of a second about it), with the error that does not go away
/// when it is held against a clip seen alike. Empty where nothing can be told.
OwnFigures figures_at(const Motion& motion, double time_s);

/// The farthest that is kept for half a second of what `of` makes of a measure's values: the least of them there, its 1-sigma (what stays
/// with a person too), the part of it that differs from clip to clip, and the moment. None where the measure is not told for so long.
struct Farthest {
    double value = 0, sigma = 0, of_clip = 0, time_s = 0;
};
std::optional<Farthest> farthest_kept(const Measures& measures, std::string_view id, std::optional<Side> side,
                                      const std::function<double(double)>& of);

/// The farthest that is kept for half a second in a clip in which somebody shows how far they go with ease: depth (a share of the standing
/// height of the hips), twist and side bend (degrees). Absent where it cannot be told to a seventh of itself or is too little to be a
/// range.
struct ShownRange {
    std::optional<double> depth, twist, bend;
};
ShownRange range_shown(const Measures& measures);

} // namespace bevel
