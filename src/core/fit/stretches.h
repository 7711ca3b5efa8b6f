// What of the clips is fitted, stretch after stretch, and how the stretches become one body. Used by fit.cpp alone.
#pragma once
#include "core/fit/fit.h"
#include <utility>

namespace bevel::fit {

inline constexpr double window_s = 30, overlap_s = 1; // longer clips are fitted a stretch after the other

/// What all shots show, s on the first one's clock.
std::pair<double, double> in_common(std::span<const FitShot> shots);
/// The stretch that is fitted: what all show, and of the first clip a little before and after, from its one camera.
std::pair<double, double> stretch_of(std::span<const FitShot> shots);
/// Takes the next stretch in; where both have moments, the one that is farther from its end.
void join(FittedBody& whole, FittedBody part);

} // namespace bevel::fit
