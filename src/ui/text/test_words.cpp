#include "ui/text/test_words.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCoreApplication>
#include <QLocale>

namespace bevel::ui::text {
namespace {
struct TestWords {
    Q_DECLARE_TR_FUNCTIONS(quiet_tests)
};
QString amount(double v, const std::string& unit) {
    const QString n = locale_now().toString(v, 'f', unit.empty() || unit == "mm" ? 0 : 1);
    if (unit == "deg") return n + QChar(0xB0);
    if (unit == "SW") return TestWords::tr("%1 shoulder widths").arg(locale_now().toString(v, 'f', 2));
    return unit.empty() ? n : QStringLiteral("%1 %2").arg(n, unit == "cm2" ? QStringLiteral("cm²") : QString::fromStdString(unit));
}
} // namespace

QString quiet_test(QuietTest t) {
    switch (t) {
    case QuietTest::one_leg_stand:
        return TestWords::tr("One-leg stand");
    case QuietTest::sit_to_stand:
        return TestWords::tr("Sitting to standing, five times");
    case QuietTest::quiet_stand:
        return TestWords::tr("Quiet stand");
    case QuietTest::heel_raises:
        return TestWords::tr("Heel raises");
    case QuietTest::comfortable_ranges:
        return TestWords::tr("How far with ease");
    case QuietTest::neutral_stand:
        return TestWords::tr("How one stands");
    }
    return {};
}

QString quiet_test_set_up(QuietTest t) {
    switch (t) {
    case QuietTest::one_leg_stand:
        return TestWords::tr(
            "Beside a wall or the back of a chair, a hand near it. Lift one foot, then the other; each stand ends at 30 seconds. "
            "Film from the front, the feet in the picture.");
    case QuietTest::sit_to_stand:
        return TestWords::tr(
            "A firm chair with its back to a wall, feet flat. Rise and sit five times without hurry, as it is comfortable. Film "
            "from the side.");
    case QuietTest::quiet_stand:
        return TestWords::tr(
            "Feet under the hips, arms hanging, eyes open, something to hold in reach. Thirty seconds. The phone stands still.");
    case QuietTest::heel_raises:
        return TestWords::tr(
            "A hand on a wall. Raise both heels and lower them slowly, as often as it is comfortable. Film from the side.");
    case QuietTest::comfortable_ranges:
        return TestWords::tr(
            "A chair in reach. Sink, turn to both sides, bend sideways, raise the arms: as far as it goes with ease, about seven tenths "
            "of what could be done, and stay there for a breath. From the front bends and arms are told, from the side turns and how "
            "far one sinks.");
    case QuietTest::neutral_stand:
        return TestWords::tr(
            "Stand as is right for this person, placed by whoever teaches, for ten seconds. From the side head and back are told, from "
            "the front shoulders, weight and feet.");
    }
    return {};
}

QString quiet_test_not_when() {
    return TestWords::tr(
        "Not when dizzy, in pain, or after a fall that has not been looked at; never to the limit. A test is compared with this "
        "person's own past alone: there is no norm, and it is no diagnosis.");
}

QString test_figure(const std::string& id, const std::string& side) {
    QString s;
    if (id == "time") s = TestWords::tr("Time on one leg");
    if (id == "rises") s = TestWords::tr("Rises");
    if (id == "first_to_last") s = TestWords::tr("All rises together");
    if (id == "rise") s = TestWords::tr("One rise, the middle one of them");
    if (id == "raises") s = TestWords::tr("Raises");
    if (id == "raise_height") s = TestWords::tr("Height of a raise");
    if (id == "sway_sideways") s = TestWords::tr("Sway sideways");
    if (id == "sway_forward") s = TestWords::tr("Sway forward and back");
    if (id == "squat") s = TestWords::tr("The hips sink, of their height");
    if (id == "turn") s = TestWords::tr("Shoulders turn against the hips");
    if (id == "bend") s = TestWords::tr("The trunk bends sideways");
    if (id == "overhead") s = TestWords::tr("The hand goes up, of the body's height");
    if (id == "head_ahead") s = TestWords::tr("Ears ahead of the shoulders");
    if (id == "ear_over_shoulder") s = TestWords::tr("Ear over the shoulder");
    if (id == "gaze") s = TestWords::tr("Nose over the ears");
    if (id == "upper_back") s = TestWords::tr("Rounding of the upper back");
    if (id == "low_back") s = TestWords::tr("Hollow of the low back");
    if (id == "lean") s = TestWords::tr("Forward lean");
    if (id == "lean_side") s = TestWords::tr("Lean to the own left");
    if (id == "shoulders") s = TestWords::tr("Left shoulder higher");
    if (id == "weight_left") s = TestWords::tr("Weight on the left foot");
    if (id == "feet_apart") s = TestWords::tr("Feet apart");
    if (id == "toes_out") s = TestWords::tr("Toes out");
    if (id == "sway_area") s = TestWords::tr("Area of the sway");
    if (s.isEmpty()) s = QString::fromStdString(id);
    if (side.empty()) return s;
    return TestWords::tr("%1, %2", "a figure, its side").arg(s, side == "left" ? TestWords::tr("left") : TestWords::tr("right"));
}

QString test_value(double value, double sigma, const std::string& unit) {
    const QString v = amount(value, unit);
    return sigma > 0 ? TestWords::tr("%1 ± %2").arg(v, locale_now().toString(sigma, 'f', unit == "mm" ? 0 : unit == "SW" ? 2 : 1)) : v;
}

QString ladder_advice(const LadderAdvice& a) {
    switch (a.why) {
    case LadderAdvice::Why::up:
        return TestWords::tr("Thirty seconds on both legs without a hand on %1: one step up the balance ladder may be tried: %2.")
            .arg(day(a.day), balance_step(a.step));
    case LadderAdvice::Why::down:
        return TestWords::tr("Shorter beyond error on %1 than before: one step down the balance ladder: %2.")
            .arg(day(a.day), balance_step(a.step));
    case LadderAdvice::Why::none:
        break;
    }
    return {};
}

QString quiet_test_refused(QuietTest t, const std::string& code) {
    if (code == "typed") return TestWords::tr("A stand that was not filmed tells no moment.");
    if (code == "not_shown") return TestWords::tr("Nothing in this clip is that test.");
    if (code == "view") return TestWords::tr("From this side it cannot be counted.") + QLatin1Char(' ') + quiet_test_set_up(t);
    if (code == "too_short")
        return t == QuietTest::neutral_stand
                   ? TestWords::tr("A stand of less than %1 seconds does not tell how one stands.").arg(std::lround(neutral_least_s))
                   : TestWords::tr("A quiet stand of less than %1 seconds tells no sway.").arg(std::lround(quiet_stand_least_s));
    return reason(QString::fromStdString(code));
}

QString test_note(const std::string& note) {
    if (note == "supported") return TestWords::tr("with a hand on something");
    if (note == "ended") return TestWords::tr("ended at 30 seconds");
    if (note == "cut") return TestWords::tr("the clip begins or ends in it: at least so long");
    if (note == "one_side") return TestWords::tr("one leg only");
    return QString::fromStdString(note);
}

QString test_change(const ChangeOfFigure& c, const KeptFigure& from) {
    if (!changed_for_sure(c)) return TestWords::tr("no change beyond ± %1 since %2").arg(amount(c.detectable, from.unit), day(from.day));
    return (c.value > 0 ? TestWords::tr("%1 more than on %2") : TestWords::tr("%1 less than on %2"))
        .arg(amount(std::abs(c.value), from.unit), day(from.day));
}

} // namespace bevel::ui::text
