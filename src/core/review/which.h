// Which movement is it? The named one competes with the others for each of its repetitions.
#pragma once
#include "core/align/reference.h"
#include <memory>
#include <span>
#include <stop_token>
#include <string>
#include <vector>

namespace bevel {

struct Review;
struct ReviewOptions;

/// A stretch that was held against the named movement and that another movement explains better.
struct Elsewhere {
    double from_s = 0, to_s = 0;
    std::string movement; // the one that explains it best
    double odds = 1;      // how much likelier it is than the named one
    bool near = false;    // asked about, not decided: hardly likelier, or their own figures can hardly be told apart
};

/// Taken for another movement from these odds on, a single repetition among others only from many more; asked about from a little.
inline constexpr double clearly = 4, clearly_one = 12, perhaps = 1.5;

/// The stretches of a review's repetitions that another movement explains better, in order of time; stretches of one movement that follow
/// each other are one. Likelihoods fall with the cost of a repetition as in guess_movement. A stop leaves it empty.
std::vector<Elsewhere> elsewhere(const Review& review, std::span<const Movement> movements, const std::stop_token& stop = {});
/// The same with the figures made beforehand, of the height of the reviewed person: most of the time goes there.
using Rivals = std::vector<std::shared_ptr<const Reference>>;
Rivals rivals_of(std::span<const Movement> movements, double stature_m, const std::stop_token& stop = {});
std::vector<Elsewhere> elsewhere(const Review& review, const Rivals& rivals, const std::stop_token& stop = {});

/// Whether the figures of two movements themselves can hardly be told apart, seen as this clip is: the figure of one, held against both,
/// is not clearly the one it is.
bool near_pair(const Reference& a, const Reference& b);

/// A review that the others have competed for: what another movement explains clearly better is left out or held back. `better`: all that
/// was found, near pairs too.
struct Competed {
    std::shared_ptr<const Review> review;
    std::vector<Elsewhere> better;
};
Result<Competed> make_review_among(const Track& track, const Movement& movement, std::span<const Movement> movements, ReviewOptions options,
                                   const std::stop_token& stop = {});
Result<Competed> make_review_among(const Track& track, const Movement& movement, const Rivals& rivals, ReviewOptions options,
                                   const std::stop_token& stop = {});

/// As kept in the library: JSON with the movement it was asked for. Bounded; what is unreadable is no answer.
struct WhichKept {
    std::string movement;          // that was named when it was asked
    std::vector<Elsewhere> better; // empty: nothing explains it better
};
std::string which_json(const WhichKept& kept);
std::optional<WhichKept> parse_which(const std::string& text);

} // namespace bevel
