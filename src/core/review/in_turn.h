// Several people filmed in one file, one after the other: who is there from when to when.
#pragma once
#include "core/body/points.h"

namespace bevel {

struct InTurn {
    double from_s = 0, to_s = 0;
};
/// The stretches in which one body is there, in order of time. One ends where nobody is seen for `gone_s`, and where from one frame to the
/// next the body is another: it stands elsewhere by half its height, or is a quarter larger or smaller. What lasts less than `least_s`
/// is somebody who walks through. Whether two stretches are of one person who stepped out is not told.
constexpr double gone_s = 1, least_s = 6;
std::vector<InTurn> people_in_turn(const Track& track);

} // namespace bevel
