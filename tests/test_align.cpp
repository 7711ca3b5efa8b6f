// Repetitions, sides and phases of practice that is not as tidy as the reference.
#include "support/synthetic.h"
#include <cmath>
#include <QTest>

using namespace bevel;

class TestAlign : public QObject {
    Q_OBJECT
    struct Found {
        std::vector<Repetition> repetitions;
        sim::Truth truth;
        std::string error;
    };
    static Found found(const char* id, const sim::TakeOptions& o, View view, double noise_px = 1.5) {
        const auto m = test::movement(id);
        const sim::Take take(m, o);
        ReviewOptions ro;
        ro.view = view;
        ro.stature_m = o.student.stature_m;
        const auto r =
            make_review(view == View::three_d ? test::room_track(take) : test::pixel_track(take, noise_px, o.student.seed), m, ro);
        return r ? Found{(*r)->alignment.repetitions, take.truth(), ""} : Found{{}, take.truth(), r.error().context};
    }
    static sim::TakeOptions take(std::uint64_t seed, int repetitions, View view = View::front) {
        auto o = sim::take_of(seed, 1.66);
        o.student.score.repetitions = repetitions;
        o.phone.view = view;
        o.phone.fps = 25;
        return o;
    }

private slots:
    void one_side_only() {
        auto o = take(51, 3);
        o.student.score.both_sides = false;
        for (const View v : {View::front, View::three_d}) {
            const auto f = found("gaze_at_the_moon", o, v);
            QCOMPARE(f.repetitions.size(), std::size_t{3});
            for (const auto& r : f.repetitions) QCOMPARE(r.side, Side::left);
        }
    }
    void one_side_after_the_other() {
        auto o = take(52, 2);
        o.student.score.alternate = false;
        const auto f = found("part_the_horses_mane", o, View::three_d);
        QCOMPARE(f.repetitions.size(), std::size_t{4});
        const std::array<Side, 4> want{Side::left, Side::left, Side::right, Side::right};
        for (std::size_t i = 0; i < 4; ++i) QCOMPARE(f.repetitions[i].side, want[i]);
    }
    void any_tempo_within_the_slopes_data() {
        QTest::addColumn<double>("tempo");
        QTest::addColumn<int>("view");
        for (const double t : {0.6, 0.8, 1.5, 2.0})
            for (const View v : {View::front, View::left, View::three_d})
                QTest::newRow(qPrintable(QStringLiteral("%1 %2").arg(t).arg(QLatin1String(std::string(view_name(v)).c_str()))))
                    << t << static_cast<int>(v);
    }
    void any_tempo_within_the_slopes() {
        QFETCH(double, tempo);
        QFETCH(int, view);
        const auto v = static_cast<View>(view);
        auto o = take(53, 1, v == View::three_d ? View::front : v);
        o.student.tempo = tempo;
        const auto f = found("part_the_horses_mane", o, v);
        QCOMPARE(f.repetitions.size(), std::size_t{2});
        double mean = 0;
        for (const auto& p : f.truth.phases)
            for (const auto& q : f.repetitions[static_cast<std::size_t>(p.repetition)].phases)
                if (q.id == p.id) mean += std::abs(q.end_s - p.end_s) / static_cast<double>(f.truth.phases.size());
        QVERIFY2(mean < 0.35 * std::max(1.0, tempo), qPrintable(QString::number(mean)));
    }
    void a_clip_that_ends_in_the_middle_keeps_only_whole_repetitions() {
        auto o = take(54, 2);
        o.to_s = 26; // the third has begun
        const auto f = found("gaze_at_the_moon", o, View::front);
        QCOMPARE(f.repetitions.size(), std::size_t{2});
        QVERIFY(f.repetitions.back().end_s < 23.5);
    }
    void a_long_halt_does_not_break_a_repetition() {
        auto o = take(55, 1);
        o.student.faults.push_back(*sim::parse_fault("halting_shift=2"));
        const auto f = found("gaze_at_the_moon", o, View::front);
        QCOMPARE(f.repetitions.size(), std::size_t{2});
    }
    void phases_follow_one_another_and_fill_the_repetition() {
        const auto f = found("separate_the_clouds", take(56, 2, View::left), View::left);
        QCOMPARE(f.repetitions.size(), std::size_t{4});
        double last = 0;
        for (const auto& r : f.repetitions) {
            QVERIFY(r.start_s >= last - 1e-9); // never overlapping
            last = r.end_s;
            for (std::size_t i = 0; i < r.phases.size(); ++i) {
                QVERIFY(r.phases[i].end_s > r.phases[i].start_s);
                if (i > 0) QCOMPARE(r.phases[i].start_s, r.phases[i - 1].end_s);
            }
            for (std::size_t i = 1; i < r.student_s.size(); ++i) {
                QVERIFY(r.student_s[i] >= r.student_s[i - 1]);
                QVERIFY(r.reference_s[i] >= r.reference_s[i - 1]);
            }
            // There and back again.
            for (double t = r.start_s + 0.3; t < r.end_s - 0.3; t += 0.7) QVERIFY(std::abs(r.to_student(r.to_reference(t)) - t) < 0.13);
        }
    }
    void variable_frame_rate_is_taken_as_it_is() {
        auto o = take(57, 1);
        o.phone.fps = 50;
        const sim::Take full(test::movement("gaze_at_the_moon"), o);
        Track t = test::pixel_track(full, 1, 1), thin;
        thin.width = t.width;
        thin.height = t.height;
        thin.vertical = t.vertical;
        Rng rng(5);
        for (std::size_t i = 0; i < t.frames(); ++i)
            if (rng.uniform() < 0.5) { // half the frames are missing, at random
                thin.time_s.push_back(t.time_s[i]);
                thin.px.push_back(t.px[i]);
                thin.m.emplace_back();
            }
        ReviewOptions ro;
        ro.view = View::front;
        ro.stature_m = 1.66;
        const auto m = test::movement("gaze_at_the_moon");
        const auto a = make_review(t, m, ro), b = make_review(thin, m, ro);
        QVERIFY(a.has_value() && b.has_value());
        QCOMPARE((*b)->alignment.repetitions.size(), (*a)->alignment.repetitions.size());
        QCOMPARE((*b)->measures.shifts.size(), (*a)->measures.shifts.size());
        for (std::size_t i = 0; i < (*a)->measures.shifts.size(); ++i)
            QVERIFY(std::abs((*a)->measures.shifts[i].start_s - (*b)->measures.shifts[i].start_s) < 0.12);
    }
    void a_cut_out_stretch_stays_a_gap() {
        auto o = take(58, 1);
        const sim::Take whole(test::movement("gaze_at_the_moon"), o);
        Track t = test::pixel_track(whole, 1, 1);
        for (std::size_t i = 40; i < 44; ++i) t.px[i].reset();   // 0.16 s: filled
        for (std::size_t i = 200; i < 225; ++i) t.px[i].reset(); // 1 s: left out
        MotionOptions mo;
        mo.view = View::front;
        mo.stature_m = 1.66;
        const auto motion = make_motion(t, mo);
        QVERIFY(motion.has_value());
        for (std::size_t i = 40; i < 44; ++i) QVERIFY(motion->valid[i]);
        QVERIFY(motion->sigma[42][left_knee].across > motion->sigma[39][left_knee].across); // and says it is less sure
        for (std::size_t i = 200; i < 225; ++i) QVERIFY(!motion->valid[i]);
        const Measures ms = measure(*motion);
        QCOMPARE(ms.series.at("trunk.side").samples[210].absent, Absent::no_body);
        QVERIFY(ms.series.at("trunk.side").samples[190].present());
    }
};
QTEST_GUILESS_MAIN(TestAlign)
#include "test_align.moc"
