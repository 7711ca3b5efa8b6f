// How sure some figures are: one of each of the families that rest on the ground.
#pragma once
#include "core/review/review.h"

namespace bevel {

struct Watched {
    const char* id;
    std::optional<Side> side;
};
const std::array<Watched, 6>& watched();
/// Middle one-sigma error of each over the clip, in its own unit; NaN where it is told nowhere.
std::vector<double> errors_of(const Track& track, const ReviewOptions& o);

} // namespace bevel
