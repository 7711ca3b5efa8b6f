// A body set by hand where nobody was found.
#pragma once
#include "core/body/points.h"

namespace bevel {

/// To begin with: standing straight as seen from `view` (three_d and oblique: from the front), in the middle of the picture and seven
/// tenths as high; pixels as filmed, points by the student's own sides. `mirrored`: the picture shows left and right swapped.
BodyPx standing_body(View view, bool mirrored, int width, int height);

/// Frames on which every point was set by a person (not filled between), in order.
std::vector<std::uint32_t> bodies_by_hand(const Layers& layers);

} // namespace bevel
