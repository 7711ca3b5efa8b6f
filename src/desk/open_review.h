// The one way to a review of a clip of the library: for the window, a letter, the headless program, the bench.
#pragma once
#include "core/form/form_review.h"
#include "core/judge/finding_key.h"
#include "core/review/review.h"
#include "desk/at_once.h"
#include "desk/forms.h"
#include "store/library.h"
#include <map>

namespace bevel {

/// A review with what it was made from. Immutable and shared.
struct OpenReview {
    Clip clip;
    Person person;
    Track track;
    std::shared_ptr<const Review> review;
    std::filesystem::path file;
    bool has_file = true; // else it was moved away or lost; points and findings are there all the same
    std::vector<Decision> decisions;
    std::vector<Remark> seen;         // by the instructor; findings of the review too
    std::vector<Elsewhere> elsewhere; // what other movements explain better, as long as nobody said that it is the named one
    std::vector<AskedBefore> asked;   // in the last letter about this movement
    std::vector<Phrase> phrases;      // the instructor's own words, in the language of the person
    std::string language;             // of the person's letters
    Condition condition;              // of the day
    Taught taught;                    // the graded version, and up to where
    /// Corrections that three letters or more asked for, and that did not become better since: other words or a drill may help.
    struct Repeated {
        int times = 0;
        std::string first; // ISO day
    };
    std::map<FindingKey, Repeated> repeated;
    std::vector<Agreement> agreements;         // in force for this clip
    std::shared_ptr<const FormReview> whole;   // of a linked form: its parts; `review` is its review then
    std::shared_ptr<const OpenReview> partner; // the other clip of a pair; findings of both are in `review`
    AtOnce at_once;                            // with the partner
    /// Of a clip by itself that was filmed obliquely: whether a body was fitted to it, and tells figures that the view forbids.
    struct FromFit {
        bool wanted = false, tried = false, told = false;
    };
    FromFit from_fit;
    /// What a finding's times are of.
    const OpenReview& of(const Finding& f) const { return f.of_clip == 1 && partner ? *partner : *this; }
};

/// Loads a clip of the library and reviews it by its movement and school. `language`: of letters to people of whom none is known.
/// not_found for a movement that is not among the forms.
Result<std::shared_ptr<const OpenReview>> load_review(const Library& library, const Forms& forms, std::int64_t clip,
                                                      const std::string& language);

/// How a clip is to be reviewed: its view and school, the person's height and shoulder width, what was agreed, how the day was. All that
/// judge a clip ask here. Reasons are sentences of the program (reasons_said), not yet translated.
ReviewOptions review_options(const Forms& forms, const Clip& clip, const Person& person, const std::vector<Agreement>& agreements = {},
                             const Taught& taught = {}, const Condition& day = {});
/// The reasons that review_options gives of itself, for translating.
const std::vector<std::string>& reasons_said();
/// How the person of a clip is taught its movement: the graded version the clip shows, else that of today.
Taught taught_of(const Library& library, const Clip& clip);

/// The same clip by the movement, school and agreements as they are now, where these differ in bands alone: judged from what was
/// summarised. Null where it has to be looked at anew. `decisions`: as they stand now.
std::shared_ptr<const OpenReview> judged_by_bands(const OpenReview& open, const Forms& forms, const std::vector<Decision>& decisions);

/// What the instructor saw becomes a finding without a figure, in its place from the ground up.
std::shared_ptr<const Review> with_seen(std::shared_ptr<const Review> review, const std::vector<Remark>& seen);

/// What was decided about a finding; an open decision where nothing was.
Decision decision_of(const std::vector<Decision>& decisions, const Finding& f);

/// Own words that fit a finding: same check, direction; those for the role of its phase first.
std::vector<Phrase> phrases_for(const OpenReview& open, const Finding& f);
/// What own words for this finding are kept as.
Phrase phrase_of(const OpenReview& open, const Finding& f, const std::string& words);

} // namespace bevel
