// From needs to a timed session: chosen by an integer programme, put in order, explained, and checked after it was changed by hand.
#pragma once
#include "core/movement/movement.h"
#include <bitset>
#include <map>
#include <set>

namespace bevel {

/// What a movement asks of a session, told from its file.
struct Traits {
    bool stand = false;     // a quiet stand
    bool loosening = false; // loosening, waist and spine
    bool form = false;
    bool hold = false; // held, not repeated
    bool balance = false, overhead = false, bends = false, twists = false, dizzy = false;
    bool sided = false; // left and right repetitions differ
    bool seated = false, stick = false, floor_mat = false;
    double depth = 1;                                                       // lowest height of the hips over the floor against standing
    int stage() const { return depth >= 0.93 ? 0 : depth >= 0.86 ? 1 : 2; } // high, middle, low stance
};
Traits traits_of(const Movement& m);
/// The movement with this id; null where there is none.
const Movement* movement_named(const std::vector<Movement>& movements, const std::string& id);
struct PlanItem;
/// A movement as it is done in an item: in the item's graded version. `id`: which of a sequence; empty: the item's own. Null where there is
/// none.
const Movement* movement_of(const PlanItem& item, const std::vector<Movement>& movements, const std::string& id = {});

enum class PlanPart { opening, loosening, drill, form, sequence, join, settling, closing };
std::string_view plan_part_name(PlanPart p);
std::optional<PlanPart> plan_part_from(std::string_view name);

/// Why something stands in a plan; worded by the interface. `of`: a movement's id, a rule, or a part of the body.
struct PlanReason {
    enum class Code {
        frame,
        asked,
        drill_for,
        prepares,
        eases,
        theme,
        wanted,
        practised,
        kept,
        settles,
        grows,
        variety,
        gentler // in an easier way, as limits, care or the day ask
    } code = Code::variety;
    std::string of, part;
    bool operator==(const PlanReason&) const = default;
};

/// What somebody in a class does in place of what is led, at the same moment. An empty movement: rest, seated or standing quietly.
struct Otherwise {
    std::string movement, version;
    bool support = false; // with a chair or a wall in reach
    bool operator==(const Otherwise&) const = default;
};

struct PlanItem {
    PlanPart part = PlanPart::form;
    std::string movement;               // id
    std::string version, drill;         // by name; empty: as it is
    int left = 0, right = 0, times = 0; // repeats a side, or in all where no side leads
    int holds = 0;
    double hold_s = 0;
    double practice_s = 0;             // of the thing itself, breaths between holds included
    double change_s = 0;               // before it: change of stance, explanation, rest
    bool support = false;              // a chair or a wall in reach
    int ladder = 0;                    // step of the balance ladder; 0: it asks for no balance
    std::string first_side;            // "left", "right": which goes first; empty: either
    bool locked = false;               // stays whatever is proposed anew
    int round = 0, rounds = 0;         // this round of how many of the same, with rests between; 0: it is done once
    std::string let_in;                // why the instructor lets it in although the gate bars it; printed with the plan
    std::vector<std::string> sequence; // movements one after the other
    bool recall = false;               // from memory: the figure is hidden, names are told once a part is over
    std::vector<Otherwise> otherwise;  // of a class: said to all, named to nobody
    std::vector<PlanReason> why;
    std::vector<std::string> cautions; // said before it, each once in a plan
    double seconds() const { return practice_s + change_s; }
};

/// The balance ladder (domain, "Planning practice"): one step at a time, one down after a fall or pain. The last step only with a helper
/// beside, never as homework.
enum class BalanceStep { two_hands = 1, one_hand, fingertips, in_reach, tandem, slower, eyes_closed };
inline constexpr int balance_steps = 7;
/// The step for today: the person's own, or `in_reach` where it is not known; no higher than `slower` without a helper.
int balance_step_of(int known, bool helper);

/// What did not fit, or was left out for today.
struct LeftOut {
    std::string movement;
    enum class Code { no_room, overhead_today, balance_today, limit, care, no_support, no_stick, unknown } code = Code::no_room;
};

struct Plan {
    std::string title, person; // person: name or alias, for the sheet
    std::string school;
    double minutes = 0;  // at hand
    double pace = 1;     // times the movements' own durations
    double breath_s = 8; // one breath in and out at the start
    std::vector<PlanItem> items;
    std::vector<LeftOut> left_out;
    double total_s() const;
    /// Of the whole time, the loosening.
    double loosening_share() const;
};

/// What a letter asked for.
struct AskedFor {
    std::string movement, rule, drill; // drill: by name; empty: the first that helps with the rule
    int a_side = 0;                    // as homework says; 0: the usual
    double hold_s = 0;
    std::string check = {}; // of the rule, where it is known which
};

/// A linked form that is practised piece by piece.
struct FormToGrow {
    std::string form;                       // id, without "form:"
    std::vector<std::pair<int, int>> steps; // parts that are taught together, from 1 (steps_of)
    int known = 0;                          // parts that are known already
    std::vector<int> weak;                  // parts that are to be done more often
    bool mirrored = false;                  // with left and right changed over
    bool recall = false;                    // what is known, from memory
};

struct Needs {
    double minutes = 20;
    double pace = 1;     // 1.3: a third slower
    double breath_s = 8; // the student's own breath, in and out
    std::set<std::string>
        limits; // "no_overhead", "no_balance", "seated", "no_bends", "no_twists", "high_stance", "care_" and a part as in `care`
    std::set<std::string> care; // parts that ask for care today: "neck", "low_back", "shoulders", "knees", "wrists", "hips"
    std::optional<int> energy;  // 0–10; up to `tired` it is a tired day
    bool dizzy = false, unsteady = false;
    std::vector<AskedFor> asked;                 // by the last letters
    std::set<std::string> themes;                // what is to be trained
    std::vector<std::string> wanted;             // movements
    std::vector<std::string> practised;          // movements the person knows
    std::map<std::string, std::string> versions; // graded version by movement, where the person is taught one
    std::vector<std::string> sequence;           // grown movement by movement
    std::optional<FormToGrow> form;              // its pieces (pieces_of) are among the movements
    std::vector<PlanItem> locked;                // as they stand
    bool chair = true, wall = true, stick = false;
    int balance_step = 0;   // where the person stands on the ladder; 0: not known, free with the support in reach
    bool helper = false;    // somebody stands beside
    std::uint64_t seed = 0; // what serves as well is chosen by it: another one on another day. Part of the needs: the same, the same plan
    std::string steadier;   // "left", "right": the side that balances better; empty: not known
    static constexpr int tired_at = 3;
    bool tired() const { return energy && *energy <= tired_at; }
    bool careful() const { return dizzy || unsteady || tired(); }
};

/// Rules of planning (domain, "Planning practice"), each of which can be left off, to see what it does.
enum class PlanRule {
    frame,       // a quiet stand first and last
    loosening,   // 35 to 40 % of a short session
    large_first, // large joints before twists
    stages,      // low stances down and up in stages
    even,        // repeats even left and right, three a side or eight in all
    settling,    // a settling moment between exercises
    breaths,     // two free breaths between holds
    easing,      // an easing move for the part that a hold has tired
    today,       // overhead and balance left out when unsteady, dizzy, tired
    steadier,    // balance with support in reach, steadier side first
    drill_first, // the drill before its movement
    grow,        // a sequence movement by movement, joins alone
    time,        // total right to the minute
    limits,      // what was agreed with the person, and what asks for care
    prepared,    // what a form asks of the body is loosened before
    few,         // few things, repeated
    count
};
using PlanRules = std::bitset<static_cast<std::size_t>(PlanRule::count)>;
inline PlanRules all_plan_rules() {
    return PlanRules().set();
}

inline constexpr double stand_least_s = 45, stand_most_s = 240; // of each end's quiet stand
inline constexpr double change_of_stance_s = 6, explain_s = 14; // before an exercise
inline constexpr double short_session_min = 30;
/// At most so many exercises (domain: about six in 20 minutes, twelve in an hour); the time is filled by rounds.
double most_things(double minutes);

/// Proposes a session. The same needs give the same plan: the search is bounded by nodes, not by time (CBC, coin-or.org).
/// bad_value "minutes" below 4 or above 180; bad_value "locked" where what is to stay is longer than the time at hand.
Result<Plan> propose(const Needs& needs, const std::vector<Movement>& movements, const PlanRules& rules = all_plan_rules());

/// How long an item takes, from its movement, repeats, holds and breaths.
double practice_seconds(const PlanItem& item, const std::vector<Movement>& movements, double pace, double breath_s,
                        const PlanRules& rules = all_plan_rules());
/// After a change by hand: times, cautions each once at the right place. Repeats are left as they are.
void settle_plan(Plan& plan, const std::vector<Movement>& movements);

/// What a plan changed by hand no longer keeps; `item`: where, or nothing.
struct PlanProblem {
    PlanRule rule = PlanRule::time;
    std::optional<std::size_t> item;
};
std::vector<PlanProblem> problems_of(const Plan& plan, const Needs& needs, const std::vector<Movement>& movements);

/// A plan as text (JSON) and back; bad_value with the place.
std::string plan_text(const Plan& plan);
Result<Plan> parse_plan(const std::string& text);

} // namespace bevel
