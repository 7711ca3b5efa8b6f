// What became of a figure from clip to clip: unbroken lines of what may be compared, and whether it changed by more than its errors and the
// ordinary difference from day to day.
#pragma once
#include "core/review/review.h"

namespace bevel {

/// Days since 1970 of an ISO date; 0 for none.
double day_number(const std::string& iso);

/// One check on one side in one clip: all its repetitions together, with the parts of the error.
struct KeptFigure {
    std::int64_t clip = 0;
    std::string version;                                         // graded version of the movement; empty: as it is
    std::string day, view, movement, check, measure, unit, side; // day: ISO; side: "left", "right" or ""
    double value = 0, own = 0, of_clip = 0, person = 0;
    std::optional<double> low, high; // band in force then
    double matters = 0;              // smallest amount worth a remark
    int judged = 0;                  // repetitions
    bool reference = false;          // a difference from the reference
    std::string key() const { return movement + "/" + check + "/" + side; }
};

/// The figures of a review, one a check and side that could be told.
std::vector<KeptFigure> figures_of(const Review& review);
std::vector<KeptFigure> figures_of(const Summaries& summaries, const Movement& movement, View view);

/// Indices of points that may be compared, in order of day: another view, graded version or band begins a new line.
std::vector<std::vector<std::size_t>> lines_of(std::span<const KeptFigure> points);

enum class Turn { none, better, worse };
/// From one point to another of a line. `detectable`: what a change must exceed.
struct ChangeOfFigure {
    double value = 0, sigma = 0, detectable = 0;
    Turn turn = Turn::none;
};

/// Variance of a figure from day to day beyond the errors of its clips: the spread about straight lines. Three quarters of what matters is
/// the first guess of its root and counts as much as four days (scaled inverse chi-square; Gelman et al. 2013, Bayesian Data
/// Analysis, 2.6).
double day_variance(std::span<const KeptFigure> points);

/// Change from a to b, which must be of one line. Parts that stay with the person from the same side cancel. `compared`: how many figures
/// of this person are looked at together; a change is said only beyond the normal quantile of 2.5 % shared among them (Bonferroni).
/// Better is nearer to the band, worse farther from it; within the band nothing is said.
ChangeOfFigure change_between(const KeptFigure& a, const KeptFigure& b, double day_variance, int compared);

/// The change of each figure from the point before the last of its line to the last. `since_first`: from the first of that line instead.
struct FigureTrend {
    std::vector<KeptFigure> points; // of one key, in order of day
    std::vector<std::vector<std::size_t>> lines;
    std::optional<ChangeOfFigure> last, since_first; // none with a single point in the last line
};
std::vector<FigureTrend> trends_of(std::vector<KeptFigure> all);

/// Left and right of one check in the newest clip that tells both.
struct Asymmetry {
    std::string movement, check, measure, unit, day, view;
    double left = 0, right = 0;
    double sigma = 0; // of the difference: own and clip errors of both sides; what the clip shares is not taken as cancelling
};
/// Those beyond `matters` and beyond the normal quantile of 2.5 % shared among all that were compared; the largest against its sigma first.
std::vector<Asymmetry> asymmetries(const std::vector<FigureTrend>& trends);

} // namespace bevel
