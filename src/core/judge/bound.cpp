#include "core/judge/bound.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

/// By number of phases, for one repetition, two, and three or more (which hardly differ: 1.84 to 1.93 for one phase).
struct Row {
    int phases;
    std::array<double, 3> bound;
};
constexpr std::array<Row, 10> table{{{1, {1.65, 1.88, 1.88}},
                                     {2, {2.02, 2.25, 2.25}},
                                     {3, {2.19, 2.41, 2.40}},
                                     {4, {2.28, 2.51, 2.51}},
                                     {5, {2.35, 2.58, 2.58}},
                                     {6, {2.42, 2.67, 2.66}},
                                     {8, {2.52, 2.77, 2.75}},
                                     {10, {2.60, 2.85, 2.83}},
                                     {12, {2.66, 2.92, 2.90}},
                                     {16, {2.74, 3.02, 2.99}}}};

/// Upper tail of the normal distribution.
double upper_tail(double z) {
    return 0.5 * std::erfc(z / std::numbers::sqrt2);
}

} // namespace

double bound_of(int phases, int repetitions) {
    const auto column = static_cast<std::size_t>(std::clamp(repetitions, 1, 3) - 1);
    const auto at = std::find_if(table.begin(), table.end(), [&](const Row& r) { return r.phases >= phases; });
    if (at == table.end()) return table.back().bound[column] + 0.2 * std::log2(phases / 16.0); // a movement has 60 phases at most
    if (at == table.begin() || at->phases == phases) return at->bound[column];
    const Row &a = *(at - 1), &b = *at;
    return a.bound[column] + (b.bound[column] - a.bound[column]) * (phases - a.phases) / (b.phases - a.phases);
}

double bound_of_one(int values) {
    const double wanted = 1 - std::pow(0.95, 1.0 / std::max(1, values));
    double low = 0, high = 10;
    for (int k = 0; k < 60; ++k) (upper_tail(0.5 * (low + high)) > wanted ? low : high) = 0.5 * (low + high);
    return 0.5 * (low + high);
}

WorstThird worst_third(int n) {
    static constexpr std::array<WorstThird, 24> told{
        {{0, 1},         {0.564, 0.825}, {0.847, 0.749}, {0.663, 0.579}, {0.829, 0.549}, {0.953, 0.527}, {0.820, 0.456}, {0.917, 0.443},
         {0.996, 0.431}, {0.893, 0.390}, {0.960, 0.381}, {1.018, 0.374}, {0.935, 0.346}, {0.986, 0.341}, {1.032, 0.335}, {0.962, 0.314},
         {1.003, 0.310}, {1.041, 0.306}, {0.981, 0.290}, {1.016, 0.287}, {1.049, 0.283}, {0.995, 0.271}, {1.025, 0.268}, {1.054, 0.265}}};
    if (n <= static_cast<int>(told.size())) return told[static_cast<std::size_t>(std::max(1, n) - 1)];
    return {1.0908, 1.30 / std::sqrt(n)}; // mean of the upper third of a normal; its scatter as at 24
}

} // namespace bevel
