// What becomes of a clip once the body was looked for: its points, its state and what it tells of the student.
#pragma once
#include "core/form/form.h"
#include "core/review/guess.h"
#include "core/review/review.h"
#include "store/library.h"
#include <stop_token>

namespace bevel {

/// The end of taking in a clip. `track` is null when nothing was found, `review` null when it could not be judged; `error` says why then.
struct Found {
    const Track* track = nullptr;
    const Review* review = nullptr;
    Error error;
    std::vector<Limit> limits;
    std::optional<std::vector<Elsewhere>> better = {}; // what the other movements explain better, where they have competed
};

/// What a clip tells of itself, for a person to confirm.
struct ClipGuess {
    struct Whose {
        std::int64_t person = 0; // 0: somebody who is not in the library yet
        double probability = 0;
    };
    std::vector<Whose> people;            // likeliest first, at most three
    std::vector<MovementGuess> movements; // likeliest first, at most three
    std::string view;                     // as it is seen
    std::int64_t same_take = 0;           // a clip in the library that is the same film, sent before; 0: none
    std::int64_t heard_with = 0;          // a clip of the same day whose phone heard the same; 0: none
    bool mirrored = false;                // the body shows its other side than it should: perhaps
    /// Below that nothing is confirmed without having been chosen.
    static constexpr double sure = 0.95;
};
std::string guess_json(const ClipGuess& g);
ClipGuess parse_guess(const std::string& text);

/// The clip of the library that is the same film as `track` (core/review/same_take.h), of the latest `takes_compared`; 0: none.
constexpr int takes_compared = 300;
std::int64_t sent_before(const Library& library, const Clip& clip, const Track& track);
/// By the file's name, the body's proportions against the latest clips of each person from the same side, and the movements' likeness.
/// A clip of more than three quarters of a minute may be of a linked form: its movement is "form:ID" then. `cancelled` once it is stopped.
Result<ClipGuess> guess_clip(const Library& library, const Clip& clip, const Track& track, std::span<const Movement> movements,
                             std::span<const LinkedForm> forms = {}, const std::stop_token& stop = {});

/// Records it: points, state (tracked or failed, with the reason's code) and, from a clip that shows it, the student's shoulder width.
Result<Clip> keep_found(Library& library, Clip clip, const Found& found);

/// The same for a clip of which it has not been said whose it is or what it shows: it is asked, unless a limit says that nothing can be
/// judged anyway.
Result<Clip> keep_asked(Library& library, Clip clip, const Track& track, std::vector<Limit> limits, const ClipGuess& guess);

} // namespace bevel
