// A clip held against a linked form: which of its parts are done, in which order, and how each is done.
#pragma once
#include "core/form/form_reference.h"
#include "core/judge/judge.h"
#include "core/review/review.h"
#include "core/review/trend.h"

namespace bevel {

/// One part of the form in the clip, or the lack of it.
struct PartSeen {
    enum class How {
        done,     // from its beginning to its end
        cut,      // the clip, or what is seen of it, begins or ends in it
        not_seen, // nobody is seen for so long where it would be, or one camera sees it askew; never said to be missing
        unlike,   // something is done there for so long, and it is not like it
        missing,  // what comes before and after it follow each other
    };
    std::size_t part = 0; // of the course
    How how = How::done;
    double from_s = 0, to_s = 0; // where it is done, else between what comes before and after it
    int go = 0;                  // which time through the form, from 0: begun again, or done more than once in one clip
    /// Done before in this go, or after what comes later in the form.
    bool again = false, out_of_order = false;
    std::optional<View> view;              // from one camera, of a form that turns: from where this part is seen
    bool other_join = false;               // done whole, but from elsewhere than the form has it: the join is not judged
    std::optional<std::size_t> repetition; // of the review's alignment; of done and cut
    std::vector<std::size_t> findings;     // of the review, that are of this part alone
    Summaries summaries;                   // of it, as its own movement's checks see it
    double pace = 0;                       // its time over the reference's; 0 where it is not seen whole
};
std::string_view how_name(PartSeen::How h);

/// Findings of one rule, measure, direction and severity over all parts.
struct FormRemark {
    std::vector<std::size_t> findings; // of the review; the farthest outside first
    int parts = 0, told = 0;           // parts that are outside; parts in which it could be told
};

struct FormReview {
    LinkedForm form;
    std::shared_ptr<const FormReference> reference;
    /// The whole clip as one review: the movement is the course (phases "PART.PHASE"), each part that is done is a repetition, in order of
    /// time, and the findings are of one part each (Finding::part). Bands are not judged anew from its summaries: there are none.
    std::shared_ptr<const Review> review;
    std::vector<PartSeen> parts;     // done, cut and unlike in order of time, with what is lacking where it would be
    std::vector<FormRemark> remarks; // faults: safety first, then from the ground up, then by the number of parts
    int goes = 1;                    // times through the form that the clip shows, begun ones too
    const Finding& leading(const FormRemark& r) const { return review->findings[r.findings.front()]; }
    /// Where the body ends against where the reference does, over the floor, m; nothing where the floor is not seen or the end is not.
    std::optional<double> drift_m;
};

/// A form that turns, as one camera sees it.
struct SeenForm {
    Alignment alignment;
    double explained = 0; // share of the clip that is explained by it, each stretch as far as it is like it
};
/// Where the camera stands as the form begins is as declared where most of the clip is explained so, else from where most of it is.
/// cannot_judge "no_repetition".
Result<SeenForm> align_as_seen(const Motion& motion, const Measures& measures, const FormReference& reference,
                               std::optional<View> declared);

/// As make_review; cannot_judge "no_repetition" where nothing in the clip is like any part. not_found and bad_value as link. `options`:
/// what is right for the person and the clip; competing movements are not asked.
Result<std::shared_ptr<const FormReview>> make_form_review(const Track& track, const LinkedForm& form, std::span<const Movement> movements,
                                                           const ReviewOptions& options);

/// Figures of the parts that were done whole, each as one of its own movement, so that they join what other clips of it told; of a movement
/// that comes more than once, as it was done first.
std::vector<KeptFigure> figures_of(const FormReview& review);

/// form_review.json as docs/cli.md lays it down.
std::string form_review_json(const FormReview& review, const std::string& clip, const std::string& school = {});

} // namespace bevel
