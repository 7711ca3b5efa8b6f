// A form from above: where the feet stand and where the body goes, for the drawing of its path and for whoever asks how much room it needs.
#pragma once
#include "core/movement/score.h"
#include "core/movement/solver.h"

namespace bevel {

/// A foot on the floor, room coordinates of the start, m (x to the left of the way faced at the start, z ahead).
struct Print {
    Side side = Side::left;
    Vec3 heel, toe;
    int part = 0;                // in which it comes down, from 0; -1: before the first
    double from_s = 0, to_s = 0; // of the score: from its coming down to where it is lifted or turned
};

struct FloorPath {
    std::vector<Print> prints;                      // by the time they come down
    std::vector<std::pair<double, Vec3>> way;       // moment of the score, middle of the hips over the floor
    Vec3 least = Vec3::Zero(), most = Vec3::Zero(); // of all prints: the room it takes, feet alone
    double wide_m() const { return most.x() - least.x(); }
    double deep_m() const { return most.z() - least.z(); }
    /// How far it ends from where it began.
    double ends_off_m() const;
};

FloorPath floor_path(const Score& score, const Solver& solver);

} // namespace bevel
