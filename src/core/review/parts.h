// One clip with several takes or movements: where each begins and ends.
#pragma once
#include "core/review/review.h"
#include <span>

namespace bevel {

struct PartGuess {
    double from_s = 0, to_s = 0;
    std::string movement;
    int repetitions = 0;
    double cost = 0; // mean of the repetitions', standard deviations squared
};

/// The clip explained as repetitions of any of the movements and standing by; repetitions of one movement with no more than six seconds (or
/// one and a half repetitions, if that is longer) between them are one part. A part begins and ends a second and a half outside of its
/// repetitions, for the quiet stand, and never beyond the middle between two parts; what lasts less than those
/// two stands together is none, nor is what lasts less than eight seconds and goes over from one into the next without any rest. In order
/// of time; empty when nothing is known in it or it cannot be put on the ground. The trim of the track is kept to.
std::vector<PartGuess> suggest_parts(const Track& track, std::span<const Movement> movements, const ReviewOptions& options);

} // namespace bevel
