// What a session is chosen from: every way of putting a movement in that passes the gate, with its time and what it is worth. Inside the
// planner only.
#pragma once
#include "core/practice/gate.h"
#include "core/practice/plan.h"

namespace bevel {

inline constexpr double settle_s = 16; // two easy breaths
bool has(const std::vector<std::string>& all, std::string_view one);
/// What tires in a hold, and what is trained: parts as movements name them.
bool shares_part(const Movement& a, const Movement& b);
/// The drill that was asked for, or the first that helps with the rule; null without one.
const Drill* drill_of(const Movement& m, const AskedFor& a);
/// Of a repeat on one side.
double side_seconds(const Movement& m, double pace);
double hold_seconds(int holds, double hold_s, double breath_s, const PlanRules& rules);
/// 0 high, 1 middle, 2 low, of an item as it is done.
int stage_of(const PlanItem& i, const std::vector<Movement>& movements);

/// One way of putting a movement into the session.
struct Choice {
    PlanItem item;
    const Movement* movement = nullptr;
    Traits traits;
    double value = 0;
    bool is_drill = false;
    int column = -1;
    double seconds = 0; // all rounds and the rests between them
};

/// Everything that is asked while a plan is made.
struct Making {
    const Needs& needs;
    const std::vector<Movement>& movements;
    const PlanRules& rules;
    std::vector<Choice> choices;
    std::vector<LeftOut> left_out;

    bool on(PlanRule r) const { return rules[static_cast<std::size_t>(r)]; }
    /// By name: in a letter or by who plans.
    bool named(const std::string& id) const;
    bool asked_for(const std::string& id) const;
    /// The gate, unless the rules it stands for are left off to see what they do.
    Pass gate(const Movement& m, const std::string& wish = {}) const;
    /// An item as the gate lets it pass.
    void use(PlanItem& item, const Pass& way) const;
    void choose_from();
    /// A sequence grown movement by movement, with its joins alone: (1), (2), join 1-2, 1-2, (3) ... In a sequence a movement is done as it
    /// is: what may not be done so today is left out of it, and said. At most `most` of them are in it.
    std::vector<PlanItem> grown(std::size_t most);
    /// The same of a linked form, step by step: what is known, with its weakest parts before it; then of each step the parts alone, the
    /// join into them, and the form up to there. It ends before the first step that may not be done today, which is said.
    std::vector<std::vector<PlanItem>> form_steps();

private:
    double varied(const std::string& id) const;
    bool too_much_to_begin_with(const Movement& m, const std::string& version) const;
    double value_of(const Movement& m, const Traits& t, std::vector<PlanReason>& why) const;
    void add(Choice c);
    void choose(const Movement& m, const Traits& t, const Pass& way);
    void choose_drill(const Movement& m, const Traits& t, const PlanItem& item, const AskedFor& asked);
};

} // namespace bevel
