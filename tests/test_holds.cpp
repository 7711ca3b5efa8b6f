// Holds and their sway against the exact course of the body; breath traces against marks known beforehand.
#include "core/measure/breath_trace.h"
#include "core/measure/holds.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTest>

using namespace bevel;

class TestHolds : public QObject {
    Q_OBJECT
    struct Held {
        std::vector<Hold> holds;
        sim::Truth truth;
    };
    static Movement standing_on_one_leg(double seconds) {
        Movement m = test::movement("one_leg_stand");
        for (auto& p : m.phases)
            if (p.role == "hold") p.duration_s = seconds;
        return m;
    }
    static Held held(const Movement& m, sim::TakeOptions o, View view, const std::vector<SupportState>& states = {}, bool noise = true) {
        o.phone.view = view;
        const sim::Take take(m, o);
        MotionOptions mo;
        mo.view = view;
        mo.stature_m = o.student.stature_m;
        auto motion = make_motion(view == View::three_d ? test::room_track(take) : test::pixel_track(take, noise ? 1.2 : 0.1, 5), mo);
        if (!motion) qFatal("%s", motion.error().context.c_str());
        return {find_holds(*motion, measure(*motion), states), take.truth()};
    }
    /// Root mean square of the centre of the student's own segments about its mean, mm.
    static double true_sway(const sim::Truth& t, double from, double to, int axis) {
        double mean = 0, var = 0, n = 0;
        for (std::size_t k = 0; k < t.time_s.size(); ++k)
            if (t.time_s[k] >= from && t.time_s[k] <= to) mean += t.centre[k][axis], ++n;
        mean /= n;
        for (std::size_t k = 0; k < t.time_s.size(); ++k)
            if (t.time_s[k] >= from && t.time_s[k] <= to) var += std::pow(t.centre[k][axis] - mean, 2) / n;
        return 1000 * std::sqrt(var);
    }

private slots:
    void a_stand_on_one_leg_is_found_with_its_length_and_leg_data() {
        QTest::addColumn<int>("view");
        for (const View v : {View::three_d, View::front}) QTest::newRow(std::string(view_name(v)).c_str()) << static_cast<int>(v);
    }
    void a_stand_on_one_leg_is_found_with_its_length_and_leg() {
        QFETCH(int, view);
        auto o = sim::take_of(91, 1.68);
        o.student.score.repetitions = 1;
        o.student.tempo_spread = 0;
        const auto h = held(standing_on_one_leg(6), o, static_cast<View>(view));
        std::vector<sim::Truth::Span> holds;
        for (const auto& p : h.truth.phases)
            if (p.id == "hold" || p.end_s - p.start_s > 5) holds.push_back(p);
        QCOMPARE(holds.size(), std::size_t{2}); // once on each leg
        int found = 0;
        for (const auto& p : holds)
            for (const auto& x : h.holds) {
                if (!x.leg || x.from_s > p.end_s || x.to_s < p.start_s) continue;
                ++found;
                // The lifted knee is that of the leading side.
                QCOMPARE(*x.leg, other(p.side));
                QVERIFY2(std::abs(x.length_s() - (p.end_s - p.start_s)) < 1.2, qPrintable(QString::number(x.length_s())));
                QCOMPARE(x.touches, 0);
                QVERIFY(!x.supported);
                QVERIFY(x.sideways.has_value());
                const double truth = true_sway(h.truth, x.from_s, x.to_s, 0);
                QVERIFY2(std::abs(x.sideways->value - truth) < std::max(2.5, 3 * x.sideways->sigma),
                         qPrintable(QStringLiteral("%1 ± %2, is %3").arg(x.sideways->value).arg(x.sideways->sigma).arg(truth)));
            }
        QCOMPARE(found, 2);
    }
    void more_sway_is_told_as_more() {
        auto o = sim::take_of(92, 1.72);
        o.student.score.repetitions = 1;
        const auto m = standing_on_one_leg(8);
        const auto mean = [&](double sway) {
            o.student.sway = sway;
            double sum = 0;
            int n = 0;
            for (const auto& h : held(m, o, View::three_d).holds)
                if (h.leg) sum += h.sideways->value, ++n;
            return n > 0 ? sum / n : NAN;
        };
        const double calm = mean(0.5), much = mean(2.5);
        QVERIFY2(much > 2 * calm, qPrintable(QStringLiteral("%1 %2").arg(calm).arg(much)));
    }
    void a_hand_on_the_chair_is_said() {
        auto o = sim::take_of(93, 1.6);
        o.student.score.repetitions = 1;
        const auto h = held(standing_on_one_leg(5), o, View::three_d, {SupportState{false, 0, 12}});
        int with = 0, without = 0;
        for (const auto& x : h.holds) (x.supported ? with : without)++;
        QVERIFY(with > 0 && without > 0);
    }
    void who_moves_all_the_time_holds_nothing() {
        auto o = sim::take_of(94, 1.7);
        o.student.score.repetitions = 2;
        o.from_s = 4;
        o.to_s = 14;
        for (const auto& h : held(test::movement("waist_arm_swing"), o, View::three_d).holds) QVERIFY(h.to_s < 6 || h.from_s > 12);
    }
    void breaths_of_a_trace_are_where_it_turns() {
        // Four seconds in, six out: low points at 0, 10, 20 …, high ones four seconds later.
        std::string text = "time,extension\n";
        for (int i = 0; i <= 600; ++i) {
            const double t = i * 0.1, u = std::fmod(t + 5, 10.0);
            const double y = u < 4 ? 0.5 - 0.5 * std::cos(M_PI * u / 4) : 0.5 + 0.5 * std::cos(M_PI * (u - 4) / 6);
            text += std::to_string(t) + ";" + std::to_string(3 + y) + "\n";
        }
        const auto marks = breath_trace(text, 1.0);
        QVERIFY(marks.has_value());
        QCOMPARE(marks->size(), std::size_t{11}); // the last one only begins to fall
        for (const auto& b : *marks) {
            const double t = std::fmod(b.time_s - 1.0 + 5, 10.0);
            QVERIFY2(std::abs(t - (b.in ? (t > 8 ? 10 : 0) : 4)) < 0.4, qPrintable(QString::number(t)));
        }
        for (std::size_t i = 1; i < marks->size(); ++i) QVERIFY((*marks)[i].in != (*marks)[i - 1].in);
    }
    void breaths_that_are_written_out_are_taken_as_they_are() {
        const auto marks = breath_trace("0.5 in\n4.25 out\n\n9 in\n");
        QVERIFY(marks.has_value());
        QCOMPARE(marks->size(), std::size_t{3});
        QVERIFY((*marks)[1].time_s == 4.25 && !(*marks)[1].in);
    }
    void a_trace_that_is_none_is_refused_with_its_line_data() {
        QTest::addColumn<QString>("text");
        QTest::addColumn<QString>("where");
        QTest::newRow("empty") << ""
                               << "no_breath";
        QTest::newRow("flat") << QStringLiteral("0 1\n1 1\n2 1\n3 1\n4 1\n5 1\n6 1\n7 1\n8 1\n9 1\n10 1\n11 1\n") << "no_breath";
        QTest::newRow("words") << "time value\n0 in\nhello out\n"
                               << "line 3";
        QTest::newRow("one column") << "0\n1\n"
                                    << "line 1";
        QTest::newRow("back in time") << "0 in\n4 out\n3 in\n"
                                      << "line 3";
        QTest::newRow("mixed") << "0 in\n4 2.5\n"
                               << "line 2";
        QTest::newRow("no number") << "0 1\n1 nan\n"
                                   << "line 2";
        QTest::newRow("far away") << "0 1\n1e9 2\n"
                                  << "line 2";
        QTest::newRow("bytes") << QString(QChar(0)) + QStringLiteral("\x01\x02\n1 2") << "no_breath";
    }
    void a_trace_that_is_none_is_refused_with_its_line() {
        QFETCH(QString, text);
        QFETCH(QString, where);
        const auto marks = breath_trace(text.toStdString());
        QVERIFY(!marks.has_value());
        QCOMPARE(QString::fromStdString(marks.error().context), where);
    }
};
QTEST_GUILESS_MAIN(TestHolds)
#include "test_holds.moc"
