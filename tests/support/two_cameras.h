// Takes of one performance by two phones at once: as they would be filmed by somebody who puts a second phone up.
#pragma once
#include "support/odd.h"

namespace bevel::test {

/// Of the odd ones the second phone stands 55 to 115 degrees further round, has a rate, a lens and a start of its own.
struct PairTake {
    std::array<OddTake, 2> phone;
    double later_s = 0; // the second clip's first frame after that of the first
};
PairTake pair_take(int number);
/// Raw tracks of them through the body finder are in tests/data/two. The first ones are as odd as can be: people of three families of
/// figures from any side; the others are filmed as anybody would who was asked for a front and a side.
inline constexpr int odd_pairs = 12, filmed_pairs = 22;

/// How a pair was put together, and how far its clocks are off.
struct PairErrors {
    std::string why; // not put together
    double late_s = 0, late_sigma_s = 0, alike = 0, rivals = 0, misfit = 0, took_s = 0, common_s = 0;
    int rounds = 0;
};
using ErrorsById = std::map<std::string, std::vector<Error>>;
/// Errors of every figure: the mean absolute one of a take, and that of a moment with its sigma. Sides are told as left and right.
void pair_errors(int number, const std::array<Track, 2>& raw, PairErrors& how, ErrorsById& mean, ErrorsById& one);
/// The same of one clip alone.
void alone_errors(int number, std::size_t phone, const Track& raw, ErrorsById& mean, ErrorsById& one);

/// One clip by itself, fitted (fit_alone): what it fills in where the view forbids a figure, on moments seen obliquely. Sides are told as
/// near and far. False where no body fits; `why`.
struct ObliqueErrors {
    ErrorsById mean, one;
    double misfit = 0, worst = 0;
    std::string why;
};
bool oblique_errors(int number, const Track& raw, ObliqueErrors& out);

} // namespace bevel::test
