// Stretches of a clip on which the points found are not to be trusted, for a person to mend.
#pragma once
#include "core/body/points.h"

namespace bevel {

enum class DoubtKind {
    lost,    // nobody was found
    unsure,  // a point of the legs or trunk is hardly seen for longer than half a second
    swapped, // left and right of the legs changed places
    jump,    // a point was elsewhere for a moment
    bone,    // a thigh, shank or upper arm got longer than it is
    sliding, // a foot that carries wanders over the floor
};
std::string_view doubt_name(DoubtKind k);

struct Doubt {
    DoubtKind kind = DoubtKind::lost;
    std::optional<Point> point;     // the one it is about, by the student's own side; none: the whole body
    std::uint32_t from = 0, to = 0; // frames, half-open
};

/// Longest first. `track`: raw, with its layers; what was mended by hand is not doubted. Lengths are in body heights on the picture:
///   unsure   seen worse than 0.5; breaks of less than half a second are passed over;
///   swapped  both ankles and both knees are nearer to where the other side was a frame before, by more than a twentieth;
///   jump     (not of face and fingers) away from the straight line between 0.1 s before and after by more than 0.06, and back;
///   bone     longer than 1.18 times its 95th percentile over the clip and more than 0.03 longer; a bone that turns towards the camera only
///            gets shorter;
///   sliding  an ankle whose foot stays level (heel and toe alike) moves slower than a step, between 0.05 and 0.35 a second, for 0.4 s.
std::vector<Doubt> doubts_of(const Track& track);

} // namespace bevel
