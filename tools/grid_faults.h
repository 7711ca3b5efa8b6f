// The faults of one size that grids set, and where one of them is clear: beyond the band by more than what is worth a remark, by arithmetic
// alone (what the movement itself asks, plus the size of the fault).
#pragma once
#include "core/review/review.h"
#include "core/sim/take.h"
#include <algorithm>
#include <vector>

namespace bevel {

struct GridFault {
    sim::Fault fault;
    double size; // in the unit of the measure
    const char* measure;
    Direction direction;
};

inline const std::vector<GridFault>& grid_faults() {
    static const std::vector<GridFault> all{
        {sim::Fault::stance_narrow, 0.45, "stance.width", Direction::low}, {sim::Fault::stance_wide, 0.6, "stance.width", Direction::high},
        {sim::Fault::lean_forward, 22, "trunk.lean", Direction::high},     {sim::Fault::lean_side, 13, "trunk.side", Direction::high},
        {sim::Fault::head_forward, 9, "head.offset", Direction::high},     {sim::Fault::knee_in, 20, "knee.inward", Direction::high}};
    return all;
}

/// The finding of the movement's own exact review by which the fault would be clear; none where it would not.
inline const Finding* clear_by(const GridFault& g, const Review& own) {
    for (const auto& f : own.findings) {
        if (f.measure != g.measure || f.verdict == Verdict::cannot_tell || f.reference) continue;
        if (f.side == Side::right) continue; // once for both sides
        const double there = f.value + (g.direction == Direction::low ? -g.size : g.size);
        if (g.direction == Direction::low ? f.low && there < *f.low - f.matters : f.high && there > *f.high + f.matters) return &f;
    }
    return nullptr;
}

} // namespace bevel
