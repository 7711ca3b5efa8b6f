// Body centre, share of weight and its shifts. Contacts must be known before.
#pragma once
#include "core/measure/frame_measures.h"
#include <algorithm>
#include <cmath>

namespace bevel {

/// Of noise below 6 Hz a low-pass at 2 Hz leaves a third of the power, and its derivative has 2 pi times 1.15 Hz of that, 1/s. Of noise
/// that goes together over 0.3 s more is left, at a slower pace: the product is the same within a tenth.
inline constexpr double rate_of_noise = 0.577 * 2 * 3.14159265358979 * 1.15;
/// Size of a rate of which noise of so much is a part: noise alone is no movement.
inline double freed_of_noise(double rate, double noise) {
    return std::sqrt(std::max(0.0, rate * rate - noise * noise));
}

/// weight.left, weight.front, their raw (unclamped) courses, and the shifts.
void weigh(const Motion& m, Sex sex, Measures& out);

} // namespace bevel
