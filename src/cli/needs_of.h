// What a plan or a course is asked for: a file, and what a library knows of the people it is for.
#pragma once
#include "cli/args.h"
#include "cli/commands.h"
#include "desk/needs.h"

namespace bevel::cli {

struct AskedPlan {
    Forms forms;
    Needs needs;                     // the file's and what is known together; limits only ever add up
    std::vector<Movement> movements; // with the pieces of a form that grows
    std::vector<PersonNeeds> known;
    std::string person() const; // of one: alias or name
};
/// `parse`: the file's text to needs. unreadable with the place.
template <class Parse> Result<AskedPlan> asked_plan(const Args& args, const Environment& env, Parse parse);

/// The parts of it that are not of the file.
Result<AskedPlan> people_asked_for(const Args& args, const Environment& env);
void add_what_is_known(AskedPlan& asked);

template <class Parse> Result<AskedPlan> asked_plan(const Args& args, const Environment& env, Parse parse) {
    auto asked = people_asked_for(args, env);
    if (!asked) return asked;
    auto needs = parse(*asked);
    if (!needs) return tl::unexpected(needs.error());
    asked->needs = std::move(*needs);
    add_what_is_known(*asked);
    return asked;
}

} // namespace bevel::cli
