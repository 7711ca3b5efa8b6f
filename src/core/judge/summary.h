// What each check sees in each repetition, over all its phases together and in each phase by itself: a value with the parts of its error.
// Knows no band.
#pragma once
#include "core/align/align.h"

namespace bevel {

struct RepetitionValue {
    int repetition = 0;
    double value = 0, own = 0, clip = 0, person = 0; // parts of the 1-sigma: of these moments, of the clip, of the person
    double time_s = 0;                               // where it shows most
    Absent absent = Absent::none;
    /// Its states could not be told (for this reason), so that it was looked at whether they held or not: inside the band it is told all
    /// the same, outside it tells nothing.
    Absent whole = Absent::none;
    /// Of one phase: the same of the reference led by that side, where it can be told: what the movement itself asks there.
    std::optional<double> asked;
    std::vector<float> course; // the values it was made from, at most 50 of them, in order of time
    double sigma() const;
};

/// One phase by itself. Its ends, which are told to a fifth of a second or so, are left out; what is told for less than 0.2 s is absent.
struct PhaseValues {
    std::size_t phase = 0; // index in the movement
    std::vector<RepetitionValue> repetitions;
};

struct CheckValues {
    std::size_t check = 0; // index in the movement
    std::optional<Side> side;
    std::vector<RepetitionValue> repetitions; // over all phases together
    std::vector<PhaseValues> phases;          // in the movement's order; empty for checks that do not look at phases one by one
    int of_clip = 0;                          // 1: of the second of two paired clips; repetitions are counted in that one
    /// The same check as the other clip of the pair tells it, where both tell it; the surer one is judged.
    std::vector<RepetitionValue> other{};
    bool own_neutral = false; // held against what is right for this person, not against the clip's own quiet stand
};

struct Summaries {
    std::vector<CheckValues> values;
    std::vector<std::string> units; // of each check
};

/// Repetitions that were told.
std::vector<const RepetitionValue*> told_of(const std::vector<RepetitionValue>& all);

/// Mean of repetitions: what belongs to each shrinks with their number, what they share does not.
struct CombinedValue {
    double value = 0, own = 0, clip = 0, person = 0;
    double sigma() const;
};
CombinedValue combine(const std::vector<const RepetitionValue*>& of);

/// Two clips of one movement, filmed from two sides, summarised by the same checks: each check, side by side, from the clip that tells it,
/// and from the surer one where both do.
Summaries merged(const Summaries& first, const Summaries& second);

Summaries summarise(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement,
                    const ReferenceModel& reference, const std::vector<SupportState>& states = {}, const RuleBook& rules = rule_book());

} // namespace bevel
