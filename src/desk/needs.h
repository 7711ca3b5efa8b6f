// What the library knows of people that a plan is made from: of one, or of a group that practises together.
#pragma once
#include "core/practice/plan.h"
#include "desk/forms.h"
#include "store/library.h"
#include <span>

namespace bevel {

struct PersonNeeds {
    Person person;
    PersonFacts facts;
    std::vector<Agreement> agreements; // in force today
    std::vector<AskedFor> asked;
    std::vector<std::string> practised;           // movements and, as "form:ID", forms
    std::string steadier;                         // side, by the newest stand on one leg; empty: not told
    std::map<std::string, std::vector<int>> weak; // parts of a form, by "form:ID", that the newest letter about it asked for
};
/// `forms`: what the parts of linked forms are.
Result<PersonNeeds> person_needs(const Library& library, std::int64_t person, const std::string& today, const Forms& forms);

/// Puts what is known of a person into what a plan is asked for.
void know_person(Needs& needs, const PersonNeeds& one);
/// The same of a group: what any of them cannot do, nobody is led to do; what somebody was not taught is not taken for known.
void know_group(Needs& needs, std::span<const PersonNeeds> group);
/// A linked form to be practised piece by piece; `weak`: as in PersonNeeds, parts that are done more often.
FormToGrow grow_form(const LinkedForm& form, const std::map<std::string, std::vector<int>>& weak, int known);
/// Movements with the pieces of a form among them, for `propose`; only the movements where it cannot be linked.
std::vector<Movement> with_pieces(const std::vector<Movement>& movements, const LinkedForm& form, bool mirror);
/// What serves as well takes turns from day to day and from person to person. `day`: ISO.
std::uint64_t seed_of_day(const std::string& day, std::int64_t person);

} // namespace bevel
