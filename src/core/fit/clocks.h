// Two clips of one performance: by how much their clocks differ, told from the movement alone.
#pragma once
#include "core/ground/motion.h"
#include <optional>
#include <vector>

namespace bevel {

/// The moment t of the second clip is the moment t + offset_s of the first.
struct Clocks {
    double offset_s = 0, sigma_s = 0;
    double alike = 0;    // correlation of what both show then, 0..1
    double common_s = 0; // both clips show this much
    /// How much more alike thirds of it become when each is given an offset of its own within 1.5 s, mean of three: one performance has one
    /// offset throughout, another one of the same movement soon runs ahead or behind.
    double drifts = 0;
};

/// From heights over the floor, which every camera shows alike: of wrists, elbows, hips, ears, knees, ankles, by their speed. The likeliest
/// offsets, best first, at most four and half a second apart: one repetition looks like the next, and a body fitted to both tells which.
/// None when they have less than half of the shorter clip and `least_common_s` in common at any offset within `most_offset_s`.
std::vector<Clocks> clocks_of(const Motion& first, const Motion& second, double most_offset_s = 60, double least_common_s = 4);

/// How well both go together at an offset that is known; none where they have no such time in common. `sigma_s` is not touched.
std::optional<Clocks> clocks_at(const Motion& first, const Motion& second, double offset_s, double least_common_s = 4);

} // namespace bevel
