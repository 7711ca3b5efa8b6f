// Judgement by the movement's checks: values held against bands, merged over repetitions, ordered from the ground up.
#pragma once
#include "core/judge/bound.h"
#include "core/judge/summary.h"

namespace bevel {

enum class Verdict { inside, edge, outside, cannot_tell };
std::string_view verdict_name(Verdict v);

/// Families of the ground-up column, lowest first.
enum class Family { feet, weight, knees, hips, spine, head, arms, tempo };
inline constexpr int family_count = 8;
std::string_view family_name(Family f);
/// Family of a rule by its letter and, for S, its number.
Family family_of(const std::string& rule);

/// One check in one repetition.
struct Outcome {
    int repetition = 0;
    double value = 0, sigma = 0, time_s = 0;
    std::optional<double> low, high; // band as used; widened where the clip cannot tell finer
    bool widened = false;
    Verdict verdict = Verdict::cannot_tell;
    Absent absent = Absent::none;
};

enum class Direction { none, low, high };
std::string_view direction_name(Direction d);

/// One phase of a finding by itself.
struct PhaseFinding {
    std::string phase; // id
    Verdict verdict = Verdict::cannot_tell;
    double value = 0, sigma = 0, time_s = 0; // over the repetitions it rests on; the moment that shows it most
    std::optional<double> low, high;         // band in this phase
    double share_outside = 0;                // of its moments, where it is outside
    std::vector<int> repetitions;            // those outside
};

struct Finding {
    std::string check, rule, measure, unit, phase; // phase: id of the one where it shows most
    std::string part;                              // of a linked form: number of the part it is of, from 1; else empty
    std::optional<Side> side;
    Direction direction = Direction::none; // which end of the band it is beyond
    Family family = Family::feet;
    Severity severity = Severity::shape;
    Verdict verdict = Verdict::cannot_tell;
    Absent absent = Absent::none;
    std::vector<int> repetitions;            // those outside on this side of the band
    int judged = 0;                          // repetitions in which it could be told
    double value = 0, sigma = 0, time_s = 0; // combined over the repetitions it rests on; the moment is the one that shows it most
    double own = 0, clip = 0, person = 0;    // parts of sigma
    std::optional<double> low, high;
    bool reference = false; // the figure is the difference from the reference at the same moment
    bool widened = false;
    bool once = false;                  // beyond the band for certain, but in too few repetitions to be a fault
    bool sure = false;                  // inside beyond its error in every phase: may be praised
    std::string sure_phase;             // not sure in every phase, but in this one
    bool by_hand = false;               // seen by the instructor: words and a moment, no figure
    bool own_neutral = false;           // held against what is right for this person (CheckValues)
    bool allowed = false;               // outside the usual band, inside the one agreed with this student
    double share_outside = 0;           // of the moments of those repetitions
    double matters = 0;                 // smallest amount worth a remark
    BandLevel whose = BandLevel::rule;  // whose band is in force
    std::string cue, good;              // what to do; what to praise
    std::string reason;                 // why the band differs from the usual, or empty
    std::string film;                   // what to film where it cannot be told
    std::vector<std::string> cause_of;  // checks higher up that this may cause
    int of_clip = 0;                    // 1: rests on the second of two paired clips; its times and repetitions are of that one
    std::optional<CombinedValue> other; // as the other clip of the pair tells it
    /// Whether the two clips differ by more than their errors explain.
    bool contradicted() const;
    std::vector<Outcome> outcomes;    // one a repetition of that side, over all phases together
    std::vector<PhaseFinding> phases; // each by itself, in the movement's order; empty where the check does not look at them one by one
    /// Phases that are outside, the worst first.
    std::vector<const PhaseFinding*> outside() const;
    /// How far outside, in the measure's unit, signed towards where it must go back from; 0 inside.
    double excess() const;
    /// What counts as one size of the band, in the measure's unit: half of it, or what matters where it has one end. Never 0.
    double scale() const;
    /// What decisions and letters know it by: check and direction.
    std::string key() const;
};

/// Findings from what was summarised: safety first, then from the ground up; within that the surest first. Bands are those of the
/// movement's checks, which must be the ones (in order) that were summarised; only their bands, edges and words may have changed.
std::vector<Finding> judge(const Summaries& summaries, const Alignment& alignment, const Movement& movement,
                           const RuleBook& rules = rule_book());
/// The same for two paired clips whose summaries were merged.
std::vector<Finding> judge(const Summaries& both, const Alignment& first, const Alignment& second, const Movement& movement,
                           const RuleBook& rules = rule_book());

/// Verdict of a value against a band: outside only beyond `bound` sigma and beyond `edge`; cannot tell when sigma exceeds half the band.
/// A band with one end has no width: `matters` stands for half of it where it is stated.
Verdict verdict_of(double value, double sigma, std::optional<double>& low, std::optional<double>& high, double edge, bool& widened,
                   double matters = 0, double bound = bound_of(1, 1));

/// Whether a stands before b: safety, then what is outside, from the ground up, the more often and the farther outside first. A strict weak
/// order, also over findings of several clips.
bool comes_first(const Finding& a, const Finding& b);

/// Findings that are one remark: faults of one rule and measure in one direction and of one severity, on either side and in any phase.
/// In the order of the findings; the one that is farthest outside leads. Findings that are no faults are remarks of their own.
struct Remarked {
    std::vector<std::size_t> findings; // indices; the leading one first
};
std::vector<Remarked> remarked(const std::vector<Finding>& findings);
/// The findings of the remark that `f` belongs to, the leading one first; f alone where it is none of `findings`.
std::vector<const Finding*> remark_of(const Finding& f, const std::vector<Finding>& findings);

} // namespace bevel
