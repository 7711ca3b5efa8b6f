// How far the measures of a filmed student are from the truth of the performance. Shared by the accuracy table and its test.
#pragma once
#include "core/sim/take.h"
#include <map>
#include <string>
#include <vector>

namespace bevel::test {

/// Differences between what was measured and the truth, with the sigma that was stated for each.
struct Errors {
    std::vector<double> error, sigma;
    int missed = 0; // events of the truth that were not found
    std::size_t count() const { return error.size(); }
    double mean_absolute() const;
    double bias() const;
    double worst_of_95() const;          // 95 % of the errors are no larger
    double covered(double sigmas) const; // share of errors within so many stated sigmas
};

/// Names of the compared figures, in the order of the table, with unit and the error that is allowed.
struct AccuracyRow {
    const char* id;
    const char* unit;
    const char* when;
    double allowed;
};
const std::vector<AccuracyRow>& accuracy_rows();

/// Measures `found` (points of the whole video path) as a clip of the given view and height and adds its errors against the take.
/// False when the clip could not be grounded.
bool compare(const sim::Take& take, const Track& found, View view, double stature_m, std::map<std::string, Errors>& into);

} // namespace bevel::test
