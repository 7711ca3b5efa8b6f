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

/// What a test of a kind that tells it (tells_own) says of its person, taken up beside what is known: how far with ease, of both sides the
/// smaller; or the middle of the stand as a moment that is right. cannot_judge "typed" for a stand that is in no clip; as test_of_clip.
Result<PersonNeutral> own_from_test(const Library& library, const Forms& forms, const KeptTest& test, PersonNeutral known);

/// What the stands on one leg say of the step of the balance ladder (core/practice/plan.h) a person is on. Up: the newest one ended at 30 s
/// on both legs without a hand on anything; never to closed eyes. Down: on one leg it was shorter beyond error than the one before.
struct LadderAdvice {
    enum class Why { none, up, down } why = Why::none;
    int step = 0;    // the one it would be; 0 for none
    std::string day; // of the newest one
};
LadderAdvice ladder_advice(const std::vector<KeptTest>& tests, int step);

/// "left" or "right": the leg on which the newest stand of both lasted longer beyond its error; empty where that is not told.
std::string steadier_side(const std::vector<KeptTest>& tests);

} // namespace bevel
