// What quiet tests say: their names, how they are set up, when they are not done, and their figures.
#pragma once
#include "desk/quiet_tests.h"
#include "ui/text/text.h"

namespace bevel::ui::text {

inline constexpr QuietTest quiet_tests[] = {QuietTest::one_leg_stand, QuietTest::sit_to_stand,       QuietTest::quiet_stand,
                                            QuietTest::heel_raises,   QuietTest::comfortable_ranges, QuietTest::neutral_stand};
QString quiet_test(QuietTest t);
/// How to set it up, and when not to.
QString quiet_test_set_up(QuietTest t);
QString quiet_test_not_when();
/// "Time on the left leg", "Sway sideways".
QString test_figure(const std::string& id, const std::string& side);
/// "12.4 s ± 0.3", "5".
QString test_value(double value, double sigma, const std::string& unit);
/// What the stands on one leg say of the balance ladder; empty for nothing.
QString ladder_advice(const LadderAdvice& a);
/// Why a clip is none of that test.
QString quiet_test_refused(QuietTest t, const std::string& code);
QString test_note(const std::string& note);
/// "longer by 4.1 s than on 3 Nov", "no change beyond ± 3 s".
QString test_change(const ChangeOfFigure& c, const KeptFigure& from);

} // namespace bevel::ui::text
