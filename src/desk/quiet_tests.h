// Quiet tests of a person: taken from a clip or typed in, and what changed beyond error. No norm, no score, no age.
#pragma once
#include "core/review/trend.h"
#include "desk/forms.h"
#include "store/library.h"

namespace bevel {

/// The test in a clip of the library, as it is seen by what its review is seen by. Not kept yet. As take_quiet_test; cannot_judge as
/// make_motion.
Result<KeptTest> test_of_clip(const Library& library, const Forms& forms, std::int64_t clip, QuietTest test);

/// What a test may be typed in as: its figures, each with what a stop watch and a ruler are sure to.
std::vector<TestFigure> figures_to_type(QuietTest test);

/// One line a figure and side, by day; a clip from another side begins a new one. A change is told beyond errors and the ordinary
/// difference from day to day, and is neither better nor worse: that is for the person and whoever teaches them to say.
std::vector<FigureTrend> test_trends(const std::vector<KeptTest>& tests);
/// Whether that change is beyond what errors and days do.
bool changed_for_sure(const ChangeOfFigure& c);

/// "left" or "right": the leg on which the newest stand of both lasted longer beyond its error; empty where that is not told.
std::string steadier_side(const std::vector<KeptTest>& tests);

} // namespace bevel
