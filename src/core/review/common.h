// What is common to a class: over the figures of its people, the rules that most of them miss, and how sure that is.
#pragma once
#include "core/review/trend.h"
#include <span>

namespace bevel {

/// One rule missed in one direction.
struct CommonFault {
    std::string rule, check; // the check of the rule that most of them miss
    Direction direction = Direction::low;
    std::string movement;          // id of the movement in which most of those who miss it do so
    int told = 0;                  // people whose clips tell it
    int missing = 0;               // of them, those more likely beyond the band than within
    int least = 0, most = 0;       // 90 % of what their figures' errors allow for the number (Poisson's binomial distribution, exactly)
    std::vector<std::int64_t> who; // of `missing`; never said to the class
};

/// The figures of one person over the time that is looked at.
struct PersonFigures {
    std::int64_t person = 0;
    std::vector<KeptFigure> figures;
};

/// Rules that at least two miss for sure (`least`), most of those who tell it first, from the ground up where as many do. Of each person
/// the newest figure of each movement, check, side and view counts; a person misses a rule as surely as the surest of its figures.
std::vector<CommonFault> common_faults(std::span<const PersonFigures> people);

/// The chance that the true value lies beyond the band on that side, its error taken as normal; none where the band has no such end.
std::optional<double> chance_beyond(const KeptFigure& f, Direction direction);

/// From the shares of one time to those of the next: of each rule that two or more miss in either.
struct ShareChange {
    std::string rule, check;
    Direction direction = Direction::low;
    CommonFault before, after; // told 0: not told then
    /// The chance that the share of those who miss it fell, both taken as Beta(missing + 1, others + 1) (Bayes, uniform before) with the
    /// figures' own errors in it.
    double fell = 0.5;
};
std::vector<ShareChange> share_changes(std::span<const PersonFigures> before, std::span<const PersonFigures> after);

/// A share that may be told to others: of at least so many people, so that nobody is told by it.
inline constexpr int fewest_told = 5;

} // namespace bevel
