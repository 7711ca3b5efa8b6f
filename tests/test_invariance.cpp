// The same performance seen otherwise: another camera, lens, place, turn, rate or side of the mirror. Figures stay within what is stated of
// their error or are absent; nothing else may happen.
#include "support/same.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTest>

using namespace bevel;

class TestInvariance : public QObject {
    Q_OBJECT

    static sim::TakeOptions base(View view) {
        auto o = sim::take_of(71, 1.68);
        o.student.score.repetitions = 1;
        o.phone.view = view;
        return o;
    }
    static std::optional<Measures> seen(const std::string& movement, const sim::TakeOptions& o, double noise = 0.7) {
        const sim::Take take(test::movement(movement), o);
        MotionOptions mo;
        mo.stature_m = o.student.stature_m;
        const auto m = make_motion(test::pixel_track(take, noise, 3), mo);
        return m ? std::optional(measure(*m)) : std::nullopt;
    }

private slots:
    void another_camera_tells_the_same_data() {
        QTest::addColumn<QString>("movement");
        QTest::addColumn<int>("view");
        QTest::addColumn<QString>("what");
        for (const char* movement : {"separate_the_clouds", "gaze_at_the_moon", "part_the_horses_mane"})
            for (const View view : {View::front, View::left, View::right, View::back})
                for (const char* what :
                     {"long lens", "short lens", "tilted", "rolled", "beside", "nearer", "low", "high", "turned", "portrait", "distorted"})
                    QTest::newRow(qPrintable(
                        QStringLiteral("%1 %2 %3").arg(QLatin1String(movement)).arg(static_cast<int>(view)).arg(QLatin1String(what))))
                        << QString::fromLatin1(movement) << static_cast<int>(view) << QString::fromLatin1(what);
    }
    void another_camera_tells_the_same() {
        QFETCH(QString, movement);
        QFETCH(int, view);
        QFETCH(QString, what);
        const auto plain = base(static_cast<View>(view));
        auto o = plain;
        auto& p = o.phone;
        if (what == QLatin1String("long lens")) p.focal = 1.5, p.distance_m = 7.5;
        if (what == QLatin1String("short lens")) p.focal = 0.55, p.distance_m = 3.0;
        if (what == QLatin1String("tilted")) p.tilt_deg = 9, p.height_m = 1.55;
        if (what == QLatin1String("rolled")) p.roll_deg = 5;
        if (what == QLatin1String("beside")) p.beside_m = 0.9;
        if (what == QLatin1String("nearer")) p.distance_m = 3.4;
        if (what == QLatin1String("low")) p.height_m = 0.5, p.tilt_deg = -3;
        if (what == QLatin1String("high")) p.height_m = 1.9, p.tilt_deg = 12;
        if (what == QLatin1String("turned")) p.turn_deg = 14;
        if (what == QLatin1String("portrait")) p.width = 720, p.height = 1280;
        if (what == QLatin1String("distorted")) p.distortion = 0.03;
        const auto a = seen(movement.toStdString(), plain), b = seen(movement.toStdString(), o);
        QVERIFY(a && b);
        const QStringList wrong = test::disagreements(*a, *b, 3.0, 0.15);
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join(QLatin1Char('\n'))));
    }
    void another_rate_tells_the_same() {
        const auto plain = base(View::front);
        const auto a = seen("gaze_at_the_moon", plain);
        for (const double fps : {24.0, 60.0, 120.0})
            for (const double dropped : {0.0, 0.15}) {
                auto o = plain;
                o.phone.fps = fps;
                o.dropped = dropped;
                o.rate_jitter = dropped > 0 ? 0.5 : 0;
                const auto b = seen("gaze_at_the_moon", o);
                QVERIFY(a && b);
                const QStringList wrong = test::disagreements(*a, *b, 3.0, 0.10);
                QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join(QLatin1Char('\n'))));
                // The same shifts at the same times.
                for (const auto& s : a->shifts) {
                    if (std::abs(s.to - s.from) < 0.4) continue;
                    const auto t = std::min_element(b->shifts.begin(), b->shifts.end(), [&](const Shift& x, const Shift& y) {
                        return std::abs(x.start_s - s.start_s) < std::abs(y.start_s - s.start_s);
                    });
                    QVERIFY(t != b->shifts.end());
                    QVERIFY2(std::abs(t->start_s - s.start_s) < 2.5 * std::hypot(t->sigma_s, s.sigma_s),
                             qPrintable(QStringLiteral("%1 and %2 at %3/s").arg(t->start_s).arg(s.start_s).arg(fps)));
                }
            }
    }
    void one_camera_agrees_with_points_in_the_room() {
        for (const char* movement : {"separate_the_clouds", "gaze_at_the_moon", "part_the_horses_mane"})
            for (const View view : {View::front, View::left}) {
                const auto o = base(view);
                const sim::Take take(test::movement(movement), o);
                MotionOptions mo;
                mo.view = View::three_d;
                mo.stature_m = 1.68;
                const auto room = make_motion(test::room_track(take), mo);
                QVERIFY(room.has_value());
                const auto one = seen(movement, o);
                QVERIFY(one);
                const QStringList wrong = test::disagreements(measure(*room), *one, 3.0, 0.15);
                QVERIFY2(wrong.isEmpty(), qPrintable(QLatin1String(movement) + QLatin1Char(' ') + wrong.join(QLatin1Char('\n'))));
            }
    }
    void what_is_absent_stays_absent_for_a_reason() {
        // From dead front the forward figures are absent, from dead side the sideways ones, whatever the lens.
        for (const double focal : {0.55, 0.8, 1.5}) {
            auto o = base(View::front);
            o.phone.focal = focal;
            o.phone.distance_m = 4.2 * focal / 0.8;
            const auto front = seen("part_the_horses_mane", o);
            for (const char* id : {"trunk.lean", "head.offset", "knee.flexion.left", "knee.ahead.right", "plumb.forward"})
                QCOMPARE(front->series.at(id).absent_throughout(), std::optional(Absent::view));
            o.phone.view = View::right;
            const auto side = seen("part_the_horses_mane", o);
            for (const char* id : {"trunk.side", "knee.inward.left", "pelvis.tilt", "plumb.side", "knee.gap"})
                QCOMPARE(side->series.at(id).absent_throughout(), std::optional(Absent::view));
        }
    }
};
QTEST_GUILESS_MAIN(TestInvariance)
#include "test_invariance.moc"
