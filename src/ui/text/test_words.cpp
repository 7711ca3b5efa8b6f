#include "ui/text/test_words.h"
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
    if (id == "sway_area") s = TestWords::tr("Area of the sway");
    if (s.isEmpty()) s = QString::fromStdString(id);
    if (side.empty()) return s;
    return TestWords::tr("%1, %2", "a figure, its side").arg(s, side == "left" ? TestWords::tr("left") : TestWords::tr("right"));
}

QString test_value(double value, double sigma, const std::string& unit) {
    const QString v = amount(value, unit);
    return sigma > 0 ? TestWords::tr("%1 ± %2").arg(v, locale_now().toString(sigma, 'f', unit == "mm" ? 0 : 1)) : v;
}

QString quiet_test_refused(QuietTest t, const std::string& code) {
    if (code == "not_shown") return TestWords::tr("Nothing in this clip is that test.");
    if (code == "view") return TestWords::tr("From this side it cannot be counted.") + QLatin1Char(' ') + quiet_test_set_up(t);
    if (code == "too_short")
        return TestWords::tr("A quiet stand of less than %1 seconds tells no sway.").arg(std::lround(quiet_stand_least_s));
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
