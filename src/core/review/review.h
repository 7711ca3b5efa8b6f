// From a track to a review: ground, measures, alignment, judgement. And the review's file form.
#pragma once
#include "core/judge/judge.h"
#include "core/review/which.h"
#include <memory>
#include <nlohmann/json_fwd.hpp>

namespace bevel {

struct ReviewOptions {
    std::optional<View> view;
    std::optional<double> stature_m;
    std::optional<double> shoulder_width_m;            // from an earlier clip from the front
    std::vector<BandChange> school, adaptations, clip; // applied in this order
    bool mirrored = false;                             // the picture shows left and right swapped
    Sex sex = Sex::mean;
    PersonNeutral own;                // what is right for this person; without ranges that were told from this very clip
    std::vector<SupportState> states; // hands on a support, seated practice
    /// Stretches that show another movement, as `elsewhere` told of an earlier review of the clip as this movement: repetitions there are
    /// left out, and where all of them are, the review is held back. Those of a near pair are not asked here.
    std::vector<Elsewhere> elsewhere;
};

/// Everything known about one clip held against one movement. Immutable once made.
struct Review {
    Movement movement; // with the school's and the student's changes
    Motion motion;
    Measures measures;
    std::shared_ptr<const Reference> reference;
    Alignment alignment;
    Summaries summaries; // of this clip, band-free: another band is judged from them in well under a millisecond
    std::vector<Finding> findings;
    std::string held_back;                 // id of the movement that this seems to be instead: no findings then
    std::shared_ptr<const Review> partner; // the second of two paired clips; the findings are of both then
    /// The review that a finding's times and repetitions are of.
    const Review& of(const Finding& f) const { return f.of_clip == 1 && partner ? *partner : *this; }
};

/// Two clips of one movement by one person, filmed from two sides, at once or one after the other: an Evidence each, one set of findings,
/// each resting on the clip that tells it surest. bad_value "pair" when they are not of one movement with the same checks, or one is held
/// back.
Result<std::shared_ptr<const Review>> paired(const Review& first, std::shared_ptr<const Review> second);
/// The moment of `to` that is the same moment of the movement as time t of `from`: in the repetition of the same side and number, else the
/// last of that side, else the nearest in number. Between repetitions: as far on the way from one to the next. NaN without repetitions.
double same_moment(const Alignment& from, double t, const Alignment& to);

/// What a review asks of the ground.
MotionOptions motion_options(const ReviewOptions& options);
/// The track as it was meant: with left and right the other way round where the picture shows them swapped.
Track seen_by(const Track& track, const ReviewOptions& options);
/// A finding as review.json has it.
nlohmann::json finding_json(const Finding& f);

/// cannot_judge with a reason code (see make_motion and align). Where the body shows itself from a side far off the declared one, the one
/// counts from which the movement is found the likelier (`motion.not_as_declared`).
Result<std::shared_ptr<const Review>> make_review(const Track& track, const Movement& movement, const ReviewOptions& options);

/// Of a body that was put in the room already.
Result<std::shared_ptr<const Review>> make_review(Evidence evidence, const Movement& movement, const ReviewOptions& options);
/// What two cameras at once tell, with what the first of them tells surer by itself: each figure throughout from whichever of both has the
/// smaller stated error, on the same frames; the trunk's angles from the clip where it tells nearly all of them. When a foot leaves or
/// meets the floor is told by the clip alone: a fit, whose feet stay or step over a floor, was seen to set one down 0.7 s early
/// (tests/data/two). `room`: of a fit (core/fit) on the frames of `alone`.
Evidence surest_of(Motion room, const Review& alone, Sex sex);

/// A fit keeps soles on the floor until the pictures plainly show otherwise: states so of the series heel.rise of a fit.
void doubt_raised_heels(MeasureSeries& heel);

/// Whether a camera saw the student obliquely, 20 degrees and more off the front, the back or a side, for a quarter of the clip or more.
bool seen_obliquely(const Motion& motion);
/// What one clip tells, and where its view forbids a figure that of a body fitted to it (fit_alone), on moments that are seen obliquely.
/// Only figures that a fit of one clip was found to tell within what it states.
Evidence filled_from(const Motion& fitted, const Review& alone, Sex sex);

/// review.json as docs/cli.md lays it down.
std::string review_json(const Review& review, const std::string& clip, const std::string& school = {});

/// What a letter needs back from review.json.
struct ReviewFile {
    std::string clip, movement, school;
    View view = View::front;
    std::optional<double> stature_m;
    std::string held_back; // as which movement; nothing is to be said then
    std::vector<Finding> findings;
};
Result<ReviewFile> parse_review_json(const std::string& text);

} // namespace bevel
