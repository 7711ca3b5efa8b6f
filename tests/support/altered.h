// Takes that nobody performs by the movement's own figure: the exact points of a faultless student, changed by rigid moves in one phase of
// every repetition, or in some of them; and takes held still. Shares nothing with the score, the solver or the simulator's faults.
#pragma once
#include "core/judge/judge.h"
#include "core/sim/take.h"
#include "support/truth.h"
#include <functional>
#include <set>

namespace bevel::test {

/// A rigid change of a part of the body, of full size at share 1.
struct Alteration {
    const char* id;
    const char* rule;    // the rule it breaks
    const char* measure; // the figure that tells it
    Direction direction; // of the band that it leaves
    double size;         // degrees or metres
    void (*apply)(Body3& body, double facing, double size);
};
const std::vector<Alteration>& alterations();

/// The take's exact points with the change in one phase of the repetitions named (all where empty), growing in and dying away within 0.25 s
/// (a quarter of a short phase) inside the phase. Points in metres.
struct Altered {
    std::vector<double> time_s;
    std::vector<Body3> points;
    Track track() const;
};
Altered altered(const sim::Take& take, const Alteration& what, const std::string& phase, const std::set<int>& repetitions = {});

/// Seconds of the take's own time at which it is held still for so long; the rest follows later.
Altered frozen(const sim::Take& take, const std::vector<std::pair<double, double>>& stops);

/// Adds noise that goes together over `together_s` seconds (first-order), so many metres to each coordinate. `stated`: with its sigma.
void add_noise(Track& track, double metres, double together_s, std::uint64_t seed, bool stated);

/// The median of a figure's exact value in the inner part of a phase, one a repetition.
struct PhaseTruth {
    int repetition = 0;
    Side side = Side::left; // that leads
    double value = 0;
};
std::vector<PhaseTruth> phase_truth(const sim::Take& take, const Altered& points, const std::string& key, const std::string& phase,
                                    const QuietTruth& quiet);

} // namespace bevel::test
