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

/// One repetition of any of the movements, as the clip is explained best.
struct RepetitionGuess {
    const Movement* movement = nullptr; // of those that were given
    std::optional<Side> side;           // that leads; nothing where both look alike
    double from_s = 0, to_s = 0, cost = 0;
};
/// All of them at once, in whatever order: each moment is of the movement that explains it best together with what is about it. What none
/// explains well enough is left out, and so is a short stretch that goes over from what is before it into what is after, without any rest:
/// the way between them. In order of time.
std::vector<RepetitionGuess> suggest_repetitions(const Track& track, std::span<const Movement> movements, const ReviewOptions& options);

/// The clip explained as repetitions of any of the movements and standing by; repetitions of one movement with no more than six seconds (or
/// one and a half repetitions, if that is longer) between them are one part. A part begins and ends a second and a half outside of its
/// repetitions, for the quiet stand, and never beyond the middle between two parts; what lasts less than those
/// two stands together is none, nor is what lasts less than eight seconds and goes over from one into the next without any rest. In order
/// of time; empty when nothing is known in it or it cannot be put on the ground. The trim of the track is kept to.
std::vector<PartGuess> suggest_parts(const Track& track, std::span<const Movement> movements, const ReviewOptions& options);

} // namespace bevel
