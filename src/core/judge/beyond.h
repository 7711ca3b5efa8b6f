// How far a value is outside a band, and how many sigma say so. For the rooms of judge alone.
#pragma once
#include <optional>

namespace bevel {

constexpr double sure = 1.64;  // sigma within a band that make a praise
constexpr double strong = 2.5; // sigma between two clips that contradict each other

/// 0 inside; signed, in the unit of the value.
inline double beyond(double value, const std::optional<double>& low, const std::optional<double>& high) {
    if (low && value < *low) return value - *low;
    if (high && value > *high) return value - *high;
    return 0;
}

} // namespace bevel
