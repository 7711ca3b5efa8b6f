// Ways of going wrong, one for each that a rule speaks of: made in the movement that is done, in the student, in the exact points or in the
// marks, never in what is judged.
#pragma once
#include "core/review/review.h"
#include "support/synthetic.h"
#include <functional>

namespace bevel::test {

struct Wrong {
    std::string id;
    sim::TakeOptions take;
    Movement done;                                        // in place of the movement asked for
    std::function<void(Track&, const sim::Truth&)> after; // what is changed in the points and marks; may be empty
    std::vector<SupportState> states = {};
    std::vector<BandChange> agreed = {};
    std::function<PersonNeutral(const sim::Truth&)> own = {}; // what is known of the person; may be empty
};

/// Every way that makes sense for a movement: "lean_forward=22", "astray stance high", "points lean", "order toes_first", ...
std::vector<Wrong> wrong_ways(const Movement& movement);
/// One of them by its id.
std::optional<Wrong> wrong_way(const Movement& movement, const std::string& id);
/// Done without a fault.
Wrong as_asked(const Movement& movement);

/// The range of a person who uses that share of it at the farthest moment: "depth", "twist" or "bend"; by formulas of its own.
PersonNeutral ease_that_is_used(const sim::Truth& truth, const std::string& what, double share);

/// The review of what was done so, held against the movement asked for, from exact points in metres; null where it is refused.
std::shared_ptr<const Review> reviewed(const Movement& asked, const Wrong& way);

} // namespace bevel::test
