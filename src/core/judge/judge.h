// Judgement by the movement's checks: values held against bands, merged over repetitions, ordered from the ground up.
#pragma once
#include "core/align/align.h"

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

struct Finding {
    std::string check, rule, measure, unit, phase; // phase: id of the one where it shows most
    std::optional<Side> side;
    Family family = Family::feet;
    Severity severity = Severity::shape;
    Verdict verdict = Verdict::cannot_tell;
    Absent absent = Absent::none;
    std::vector<int> repetitions; // those outside
    int judged = 0;               // repetitions in which it could be told
    double value = 0, sigma = 0, time_s = 0;
    std::optional<double> low, high;
    bool widened = false;
    std::string cue, good;             // wording of the movement file
    std::string reason;                // why the band differs from the usual, or empty
    std::vector<std::string> cause_of; // checks higher up that this may cause
    std::vector<Outcome> outcomes;     // one a repetition of that side
    /// How far outside, in the measure's unit, signed towards where it must go back from; 0 inside.
    double excess() const;
};

/// All checks of the movement, ordered: safety first, then from the ground up; within that the surest first.
std::vector<Finding> judge(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement);

/// Verdict of a value against a band: outside only beyond 1.64 sigma and beyond `edge`; cannot tell when sigma exceeds half the band.
Verdict verdict_of(double value, double sigma, std::optional<double>& low, std::optional<double>& high, double edge, bool& widened);

} // namespace bevel
