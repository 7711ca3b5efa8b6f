// A movement's own figure as if it had been filmed and reviewed: so that what draws a review draws a movement too.
#pragma once
#include "core/review/review.h"

namespace bevel {

/// One repetition of each side (one in all where no side leads) by a body of this height, metres; measures without error, no findings.
/// Its reference is itself: every moment of the clip is the same moment of the reference.
std::shared_ptr<const Review> own_course(const Movement& movement, double stature_m);

} // namespace bevel
