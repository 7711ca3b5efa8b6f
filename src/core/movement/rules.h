// Rules of good form as data: data/rules.json, built into the program. A rule speaks of roles of phases, a movement gives each of its
// phases a role; together they make the checks that a clip is judged by.
#pragma once
#include "core/body/points.h"
#include "core/result.h"
#include <map>
#include <string>
#include <vector>

namespace bevel {

enum class Severity { safety, ground, timing, shape, even };
std::string_view severity_name(Severity s);

/// How a check looks at a repetition.
enum class CheckForm {
    value,  // a measure summarised over phases, or read at an event
    during, // the same over the moments only at which a state holds
    order,  // time from one event to another
    count,  // how long or how often something happens
    spread, // over repetitions: variation of their durations; within one: the times of events that belong together
    same,   // left repetitions against right ones
    drift,  // a stretch against its own first part
};
std::string_view form_name(CheckForm f);

/// How the values of a phase become the one that is judged.
enum class Summary { max, min, median, at_end, at_start, event };

/// An event to look for in a repetition.
struct EventPick {
    std::string event, part;        // names of the event stream; an empty part is any
    std::string side;               // "lead", "rear" or "" for any
    std::vector<std::string> roles; // the phase it belongs to; an explicit list of phase ids stands in `phases`
    std::vector<std::string> phases;
    bool at_end = true;  // nearest to the end of the phase, else to its beginning
    double within_s = 1; // no farther from there
    double before_s = 0; // read so long before the event
};

/// Only moments count at which this measure lies in the band.
struct While {
    std::string measure, side; // side as of a check; "own" is that of the check
    std::optional<double> low, high;
    bool size = false; // of its absolute value
};

/// Whose band is in force; the last one wins.
enum class BandLevel { rule, stance, movement, school, phase, student, clip };
std::string_view level_name(BandLevel l);
struct BandStep {
    BandLevel level = BandLevel::rule;
    std::optional<double> low, high;
    std::string reason;
};

/// What to say in one direction: by role of the phase where it shows, and otherwise.
struct Cue {
    std::string usual;
    std::map<std::string, std::string> by_role;
    bool empty() const { return usual.empty() && by_role.empty(); }
    const std::string& of(const std::string& role) const {
        const auto it = by_role.find(role);
        return it == by_role.end() ? usual : it->second;
    }
};

struct Check {
    std::string id, rule, measure;
    CheckForm form = CheckForm::value;
    std::string side;                // "lead", "rear", "both" or "" for measures without a side; lead is the side of the repetition
    std::vector<std::string> phases; // empty: the whole repetition
    std::optional<double> low, high; // band in force; an absent end is open
    std::optional<double> edge;      // how far outside the band still counts as edge
    bool reference = false;          // the band is about the reference at the same moment
    bool by_lead = false;            // signs as of a left repetition
    bool size = false;               // of the absolute value
    Summary summary = Summary::median;
    Severity severity = Severity::shape;
    double matters = 0;    // smallest amount worth a remark; 0: not stated
    double slack_side = 0; // from the side a share is judged on its lower bound, so much lower
    std::vector<While> when;
    std::vector<EventPick> events; // value at the first; order: from the first to the second; count: of the first; spread: of all
    bool three_d = false;          // one camera cannot tell it
    std::string counts;            // count: "seconds" of the longest halt of a shift, "halts" (the longest) of the
                        // whole body, "pace" of the phases, "breath" (its lag), "length" of the phase, "pause" near the top of the measure;
                        // same: "repetitions", "ramp" of how large they are
    double first_s = 0, least_s = 0;   // drift: length of the first part; shorter stretches are not looked at
    std::string good;                  // what to praise when it is inside
    std::string unit;                  // where the value is not in the measure's own
    Cue cue_low, cue_high;             // what to do when below / above the band
    std::string fault_low, fault_high; // what is seen then, as a sentence without its full stop
    std::string reason;                // why the band differs from the usual, or empty
    std::string film;                  // what to film where it cannot be told
    std::vector<BandStep> stack;       // where the band comes from, lowest level first
    std::vector<std::string> off_with; // states with which it cannot be told: "support", "seat"
    std::string part{};                // of a linked form: number of the part it is of (Finding::part); else empty
};

struct RuleCheck {
    Check check; // phases empty; the band is the rule's own
    std::vector<std::string> roles, not_roles, needs;
    std::map<std::string, BandStep> stances; // bands of named stances; with any, other stances are not judged
    std::vector<std::string> not_stances;
};

struct Rule {
    std::string id, name;
    Severity severity = Severity::shape;
    std::vector<std::string> causes;   // rules higher up that a fault of this one may explain
    std::vector<std::string> cautions; // codes
    std::vector<RuleCheck> checks;
};

struct RuleBook {
    std::vector<Rule> rules;
    std::map<std::string, Check> derived;   // measures that are made from events or from other measures, by id
    std::vector<std::string> resting_roles; // of phases in which a halt is no fault
    const Rule* find(const std::string& id) const;
};

/// Reads rules; bad_value names rule, check and reason. Unknown keys, measures, roles, stances, needs, cautions, events, parts, rules,
/// forms and sides are refused.
Result<RuleBook> parse_rules(const std::string& text);
/// The rules built into the program.
const RuleBook& rule_book();

/// Names of roles and stances, in the order of the domain.
const std::vector<std::string>& role_names();
const std::vector<std::string>& stance_names();
/// Codes of cautions, worded by the interface, and what a movement may ask its rules for.
const std::vector<std::string>& caution_names();
const std::vector<std::string>& need_names();
/// Unit of a measure of the catalogue or of one derived in the book; nothing for an unknown id.
std::optional<std::string> unit_of_measure(const RuleBook& book, const std::string& id);

} // namespace bevel
