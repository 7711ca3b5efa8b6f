// The one gate: what a person may do today. Whatever enters a plan, by whatever way, passes it.
#pragma once
#include "core/practice/plan.h"

namespace bevel {

/// What came of asking for a movement.
struct Pass {
    std::optional<LeftOut::Code> barred; // why not; nothing: it may be done as told here
    std::string version;                 // the graded version that lets it be done
    bool support = false;                // with a chair or a wall in reach
    int ladder = 0;                      // step of the balance ladder
    std::string first_side;
};

/// Whether a version asks for so much balance that something has to be in reach.
bool asks_for_balance(const Movement& m, const std::string& version);

/// What stands against a movement in one of its versions; nothing where nothing does. By what it asks of the body, its figure, what is at
/// hand, the person's limits, and the day.
std::optional<LeftOut::Code> barred(const Movement& m, const std::string& version, const Needs& needs);

/// A movement may be done as it is, as it is taught, or in the first of its versions that nothing stands against: standing ones before
/// seated ones. `wish`: a version that somebody chose, tried first. Where nothing passes, the reason that stands against it as it is.
Pass pass(const Movement& m, const Needs& needs, const std::string& wish = {});

/// What stands against an item of a plan as it stands: in its version, each movement of a sequence, a drill of its movement. An item that
/// the instructor let in (with a reason) passes. Stands and settling moments: seated where the person sits.
std::optional<LeftOut::Code> barred(const PlanItem& item, const Needs& needs, const std::vector<Movement>& movements);

} // namespace bevel
