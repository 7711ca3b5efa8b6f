// What a clip tells of itself: which movement it shows, and what the student's body is like. Guesses, with how sure they are.
#pragma once
#include "core/review/review.h"
#include <span>

namespace bevel {

/// Repetitions of a movement cost (mean squared distance) about so much when nothing is meant by them; likeliness falls with cost so fast.
inline constexpr double none_cost = 0.6, per_cost = 12;

struct MovementGuess {
    std::string movement;
    double probability = 0; // among the movements that were tried and "none of them"
    int repetitions = 0;
    double cost = 0;         // mean squared distance to the reference along the repetitions, standard deviations
    double share = 0;        // of the moving part of the clip that the repetitions explain
    int left = 0, right = 0; // repetitions whose side is told
};

/// The movements that the clip may show, likeliest first; empty when the clip cannot be put on the ground.
std::vector<MovementGuess> guess_movement(const Track& track, std::span<const Movement> movements, const ReviewOptions& options);

/// Proportions of a body as one clip shows them, free of its scale: lengths over the trunk, as logarithms. What the view hides is absent.
/// The network's own picture of a body is in them; it is the same for the same person.
struct BodyShape {
    static constexpr std::size_t size = 4; // shoulder width, thigh, shank, foot
    std::array<std::optional<double>, size> value;
    std::string view; // shapes are compared within one view
};
/// Nothing without a quiet second.
std::optional<BodyShape> body_shape(const Track& track);

/// Logarithm of how much likelier these two are of one person than of two taken at random (people's spread and the errors of a clip as
/// measured on drawn people, see guess.cpp). 0 where nothing can be compared.
double same_body(const BodyShape& a, const BodyShape& b);

} // namespace bevel
