// What a letter says, before it is put into words: which corrections still hold, what may be praised, what is kept of it when it went out.
#pragma once
#include "core/practice/gate.h"
#include "desk/changes.h"
#include "desk/open_review.h"

namespace bevel {

struct LetterMatter {
    std::vector<Finding> corrections; // one of each remark that was chosen, in the order of the review
    std::vector<Decision> decisions;  // with the instructor's own words
    Better better;                    // what may be said to be better
    // What is praised: one or none of these.
    std::optional<FindingKey> grown; // a key of `better`
    std::optional<Finding> inside;   // a figure inside its band
};

/// As the record stands now: decisions are read from the library, so that a rewording is in it. Code::cannot_judge where nothing is judged
/// (held back: the gate of a review, asked here too), no_longer_so for a correction or praise that does not hold any more.
Result<LetterMatter> letter_matter(const OpenReview& open, const LetterRecord& record, const Library& library);

/// The clips of a visit beside one: of the same person, waiting for a letter as well, come within `visit_days` of it. Oldest first.
constexpr int visit_days = 7;
std::vector<std::int64_t> visit_beside(const Library& library, const Clip& clip);
/// Whether one letter may answer both.
bool same_visit(const Waiting& a, const Waiting& b);
/// Who waits, longest first, but the clips of one visit one after the other.
std::vector<Waiting> by_visit(const std::vector<Waiting>& waiting);
/// The clips that a letter answers beside its own, opened, in the order of `record.also`. Code::no_longer_so "visit" where one is gone or
/// is another person's by now: nothing of them goes out.
Result<std::vector<std::shared_ptr<const OpenReview>>> load_visit(const Library& library, const Forms& forms, const LetterRecord& record,
                                                                  std::int64_t person, const std::string& language);
/// Whether the letter of another clip says what there is to say of this one.
bool answered_elsewhere(const Library& library, const LetterRecord& record);
/// The record of a part as a letter of its own has it, for `letter_matter`.
LetterRecord part_record(const LetterRecord& record, const LetterPart& part);

/// What may be done at home after a clip, by the one gate: what is agreed with the person, on a day.
struct HomeGate {
    std::map<std::string, LeftOut::Code> barred; // by the movement's id; a whole form that the clip shows by the id of its review's
    bool hurt = false;                           // something hurt on the day of the clip
    bool itself = false;                         // what the clip shows is a movement, nothing bars it, and nothing hurt
};
/// `day`: ISO, today.
HomeGate home_gate(const OpenReview& open, const Library& library, const Forms& forms, const std::string& day);

/// What a movement has for a rule, to go with a correction until somebody says otherwise: the drill that isolates it; with the first
/// correction of a letter a picture for the mind and the movement itself. Neither drill nor movement where it may not be done `at_home`:
/// a drill is a part of the whole, and how much less it asks for nobody has said.
WithCorrection proposed_with(const Movement& movement, const Finding& f, bool first, bool at_home);

/// What is kept of a letter that went out, but for its words and bytes. `now`: ISO date and time; `file`: empty where it was printed.
SentLetter sent_of(const OpenReview& open, const LetterRecord& record, const std::string& kind, const std::filesystem::path& file,
                   const std::string& now);

} // namespace bevel
