// The steps of putting a clip on the ground, shared by its source files. Used by ground() only.
#pragma once
#include "core/ground/motion.h"
#include "core/signal/signal.h"
#include <cmath>
#include <numbers>

namespace bevel::grounding {

inline constexpr double found_jitter = 0.004; // m, what points found on pictures still wander by once they are filtered
inline constexpr double grid_step = 0.3;      // s between the frames on which shared errors are kept

inline double wrap(double a) {
    return std::remainder(a, 2 * std::numbers::pi);
}
inline std::size_t at(Point p) {
    return static_cast<std::size_t>(p);
}

/// Gaps of up to 0.25 s are filled; what is filled is less sure.
/// Where the camera stands at this azimuth, and which of the own axes its picture shows.
void look_from(Motion& m, double azimuth);
void fill(Motion& m);
/// Zero-phase low-pass of every coordinate.
void filter(Motion& m, double cutoff_hz);

/// Points in metres: floor, heading, noise; from a derived track.
Result<Motion> from_metres(const Track& t, const MotionOptions& o);
/// Pixels of one camera; differences of shared errors are left in `shared` for finish_shared.
Result<Motion> from_picture(const Track& t, const MotionOptions& o);

/// The quietest upright second: legs long, trunk upright, nothing moving faster than 8 cm/s over half a second; else proportions.
void find_neutral(Motion& m, const MotionOptions& o);
/// Quantile of the heights of a clip at which somebody stands upright in it: who holds a stance for minutes is upright for some seconds.
double upright_share(const std::vector<double>& time_s);
/// Differences become bodies in own axes, with the neutral and the lengths of the moved world; facing and shoulder width are errors of
/// their own.
void finish_shared(Motion& m);

} // namespace bevel::grounding
