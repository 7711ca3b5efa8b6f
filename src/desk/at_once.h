// Bodies fitted to clips of the library, once, in the background, and kept: of two clips that were filmed at once, and of one that was
// filmed obliquely.
#pragma once
#include "core/fit/together.h"
#include "core/review/review.h"
#include "desk/forms.h"
#include "store/library.h"

namespace bevel {

/// How a clip and the other one of its pair stand to each other.
struct AtOnce {
    bool tried = false;              // whether it was looked for with the points as they are now
    bool together = false;           // and both show one performance
    std::string why;                 // else the reason code of put_together, or "brief": the other one shows too little of this clip
    View view = View::three_d;       // of this clip by itself
    double ahead_s = 0, sigma_s = 0; // the moment t of this clip is the moment t + ahead_s of the other
    double apart_deg = 0;            // between the two cameras, seen from the student
    double left_over = 0;            // between points and pictures, in stated sigmas
};

/// Whether a clip has a pair of which that is not known yet.
inline bool to_be_tried(const Clip& clip, const AtOnce& how) {
    return clip.pair != 0 && !how.tried;
}

/// What both clips' phones heard, as the second one's clock on the first one's; none where one has no sound, cannot be read, or nothing
/// stands out.
std::optional<Clocks> heard_together(const Library& library, const Clip& first, const Clip& second, const std::stop_token& stop = {});
/// The clip of the same day, among the latest, that heard what this one did: filmed at that time in that room, perhaps by a second phone.
/// Not itself sent twice (`same_take`). 0: none, or stopped.
constexpr int sounds_compared = 24;
std::int64_t heard_with(const Library& library, const Clip& clip, std::int64_t same_take, const std::stop_token& stop = {});

/// Looks for the body of both and keeps it, or why there is none. Whether they go together. cancelled; not_found without a pair.
Result<bool> put_pair_together(Library& library, const Forms& forms, std::int64_t clip, const std::stop_token& stop = {});

/// What is kept of a clip with the other one of its pair, if it is of the points as they are.
struct KeptTogether {
    AtOnce how;
    std::optional<FittedBody> body; // on this clip's clock
};
KeptTogether kept_together(const Library& library, const Clip& clip, const Person& person);

/// The body fitted to a clip by itself.
struct KeptAlone {
    bool tried = false; // with the points as they are now
    std::optional<FittedBody> body;
};
/// Of a clip without a pair.
KeptAlone kept_alone(const Library& library, const Clip& clip, const Person& person);
/// Fits it and keeps it, or that there is none. Whether there is one. cancelled; bad_value "pair" for a clip that has one.
Result<bool> fit_clip(Library& library, const Forms& forms, std::int64_t clip, const std::stop_token& stop = {});
/// The clip's review with the figures that its view forbids, as far as the fit tells them.
Result<std::shared_ptr<const Review>> review_filled(const FittedBody& body, const Review& alone, const Movement& movement,
                                                    const ReviewOptions& options);

/// How much of what a clip shows by itself the fit shows too, 0..1. A review in the room is one of the clip only where that is most of it:
/// nothing that somebody did is left out because a second phone did not see it.
double share_shown(const FittedBody& body, const Motion& alone);
inline constexpr double least_shown = 0.8;

/// The clip's review with the body in the room, each figure from what tells it surest.
Result<std::shared_ptr<const Review>> review_in_room(const FittedBody& body, const Review& alone, const Movement& movement,
                                                     const ReviewOptions& options);

} // namespace bevel
