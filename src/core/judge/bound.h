// How many sigma beyond its band a check must be to be a fault. A check looks at several phases, at their mean over the repetitions and at
// the worst third of these; each look is a chance to be wrong. The bound is the check's own: at a band's edge in every phase the whole
// check is false in 5 %.
#pragma once

namespace bevel {

/// Bound of a check that looks at so many phases (each by itself and all together), by mean and worst third of so many repetitions; both at
/// least 1. Simulated: independent normal errors of every value, 60 000 draws; the largest of all looks lies below the bound in 95 %. Where
/// errors are shared between phases or repetitions it is false less often. tests/test_bound.cpp draws again.
double bound_of(int phases, int repetitions);

/// So many sigma beyond its band a single one of so many values speaks for itself: the largest of them is false in 5 %.
double bound_of_one(int values);

/// Mean and standard deviation of the mean of the largest third (rounded up) of so many independent standard normal values: what noise
/// alone adds to the worst third, and how it scatters. Simulated with a million draws up to 24; beyond, by their limits.
struct WorstThird {
    double mean, sd;
};
WorstThird worst_third(int values);
inline int third_of(int values) {
    return (values + 2) / 3;
}

} // namespace bevel
