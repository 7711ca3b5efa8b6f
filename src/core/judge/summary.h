// What each check sees in each repetition: a value with the parts of its error. Knows no band.
#pragma once
#include "core/align/align.h"

namespace bevel {

/// A hand on a chair, wall or stick, a second person's arm; or the whole clip seated.
struct SupportState {
    bool seat = false;
    double from_s = 0, to_s = 1e9;
};

struct RepetitionValue {
    int repetition = 0;
    double value = 0, own = 0, clip = 0, person = 0; // parts of the 1-sigma: of these moments, of the clip, of the person
    double time_s = 0;                               // where it shows most
    Absent absent = Absent::none;
    std::vector<float> course; // the values it was made from, at most 50 of them, in order of time
    double sigma() const;
};

struct CheckValues {
    std::size_t check = 0; // index in the movement
    std::optional<Side> side;
    std::vector<RepetitionValue> repetitions;
};

struct Summaries {
    std::vector<CheckValues> values;
    std::vector<std::string> units; // of each check
};

Summaries summarise(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement,
                    const ReferenceModel& reference, const std::vector<SupportState>& states = {}, const RuleBook& rules = rule_book());

} // namespace bevel
