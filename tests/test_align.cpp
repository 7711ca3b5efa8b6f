// Repetitions, sides and phases of practice that is not as tidy as the reference.
#include "core/align/segmenter.h"
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
            for (const auto& r : f.repetitions) QVERIFY(r.side == Side::left);
        }
    }
    void one_side_after_the_other() {
        auto o = take(52, 2);
        o.student.score.alternate = false;
        const auto f = found("part_the_horses_mane", o, View::three_d);
        QCOMPARE(f.repetitions.size(), std::size_t{4});
        const std::array<Side, 4> want{Side::left, Side::left, Side::right, Side::right};
        for (std::size_t i = 0; i < 4; ++i) QVERIFY(f.repetitions[i].side == want[i]);
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
    void a_repetition_that_has_hardly_begun_is_left_out() {
        auto o = take(54, 2);
        o.to_s = 23; // the third has begun
        const auto f = found("gaze_at_the_moon", o, View::front);
        QCOMPARE(f.repetitions.size(), std::size_t{2});
        QVERIFY(f.repetitions.back().end_s < 23.5 && !f.repetitions.back().cut);
    }
    void repetitions_cut_at_either_end_keep_their_whole_phases() {
        // From the middle of the first repetition to the middle of the last, without any quiet stand; turned to anywhere.
        for (const double turn : {0.0, 17.0, -28.0}) {
            auto o = take(61, 2);
            o.phone.turn_deg = turn;
            const sim::Take whole(test::movement("gaze_at_the_moon"), o);
            std::vector<const sim::Truth::Span*> spans;
            for (const auto& p : whole.truth().phases) spans.push_back(&p);
            const auto first = std::find_if(spans.begin(), spans.end(), [](auto* p) { return p->repetition == 0 && p->id == "gaze"; });
            const auto last = std::find_if(spans.begin(), spans.end(), [](auto* p) { return p->repetition == 3 && p->id == "unwind"; });
            o.from_s = (*first)->start_s - 0.4;
            o.to_s = (*last)->end_s - 0.6;
            const auto f = found("gaze_at_the_moon", o, View::front);
            QCOMPARE(f.repetitions.size(), std::size_t{4});
            const std::array<Side, 4> want{Side::left, Side::right, Side::left, Side::right};
            for (std::size_t k = 0; k < 4; ++k) {
                const auto& r = f.repetitions[k];
                QVERIFY(r.side == want[k]);
                QCOMPARE(r.cut, k == 0 || k == 3);
                for (const auto& p : r.phases) { // against the performed phases, in the clip's own time
                    const auto t = std::find_if(spans.begin(), spans.end(),
                                                [&](auto* s) { return s->repetition == static_cast<int>(k) && s->id == p.id; });
                    QVERIFY(t != spans.end());
                    QVERIFY2(std::abs((*t)->end_s - o.from_s - p.end_s) < 0.9, qPrintable(QStringLiteral("%1 of %2, turned %3: %4 for %5")
                                                                                              .arg(QString::fromStdString(p.id))
                                                                                              .arg(k)
                                                                                              .arg(turn)
                                                                                              .arg(p.end_s)
                                                                                              .arg((*t)->end_s - o.from_s)));
                    QVERIFY(p.start_s >= r.start_s - 1e-9 && p.end_s <= r.end_s + 1e-9);
                }
            }
            QCOMPARE(f.repetitions[0].phases.front().id, std::string("gaze"));
            QVERIFY(f.repetitions[3].phases.back().id == "rest"); // the last that was seen to its end
        }
    }
    void sides_that_look_alike_are_not_guessed() {
        for (const View v : {View::front, View::left, View::three_d}) {
            const auto f = found("separate_the_clouds", take(62, 2, v == View::three_d ? View::front : v), v);
            QCOMPARE(f.repetitions.size(), std::size_t{4});
            for (const auto& r : f.repetitions) QVERIFY(!r.side);
        }
        // Which hand is in front alternates, too little to be told by; with both hands alike no side leads at all.
        auto m = test::movement("separate_the_clouds");
        QVERIFY(!m.symmetric());
        for (auto& p : m.phases) p.posture.right_hand.z = p.posture.left_hand.z;
        QVERIFY(m.symmetric() && Reference(m, 1.7).model().symmetric);
    }
    void a_form_is_found_movement_by_movement() {
        // Two movements one after the other, the second twice; and with the first left out.
        const auto clouds = test::movement("separate_the_clouds"), moon = test::movement("gaze_at_the_moon");
        auto a = take(63, 1), b = take(63, 1);
        const sim::Take first(clouds, a), second(moon, b);
        const Reference clouds_reference(clouds, 1.66), moon_reference(moon, 1.66);
        const Form form{{{&clouds_reference.model(), std::nullopt}, {&moon_reference.model(), std::nullopt}}};
        auto sequence = [&](bool both) {
            Track t = both ? test::room_track(first) : Track{};
            const Track more = test::room_track(second);
            const double from = both ? t.time_s.back() + 0.04 : 0;
            for (std::size_t i = 0; i < more.frames(); ++i) {
                t.time_s.push_back(more.time_s[i] + from);
                t.m.push_back(more.m[i]);
                t.px.emplace_back();
            }
            MotionOptions mo;
            mo.view = View::three_d;
            mo.stature_m = 1.66;
            const auto motion = make_motion(t, mo);
            return motion ? align(*motion, measure(*motion), form) : Result<Alignment>(tl::unexpected(motion.error()));
        };
        const auto whole = sequence(true);
        QVERIFY(whole.has_value());
        std::vector<std::size_t> entries;
        for (const auto& r : whole->repetitions) entries.push_back(r.entry);
        QCOMPARE(entries, (std::vector<std::size_t>{0, 0, 1, 1}));
        QVERIFY(!whole->repetitions[0].side && whole->repetitions[2].side == Side::left && whole->repetitions[3].side == Side::right);
        const auto without = sequence(false);
        QVERIFY(without.has_value());
        QCOMPARE(without->repetitions.size(), std::size_t{2});
        for (const auto& r : without->repetitions) QCOMPARE(r.entry, std::size_t{1});
    }
    void a_form_without_movements_is_refused() {
        const sim::Take t(test::movement("gaze_at_the_moon"), take(64, 1));
        MotionOptions mo;
        mo.view = View::three_d;
        const auto motion = make_motion(test::room_track(t), mo);
        QVERIFY(motion.has_value());
        const auto r = align(*motion, measure(*motion), Form{});
        QVERIFY(!r.has_value());
        QCOMPARE(r.error().context, std::string("form"));
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
    /// The segmenter alone, on made-up courses: what was put together from the units, at any pace and with noise, is taken apart again; it
    /// costs no more than the way it was put together.
    void what_was_put_together_is_taken_apart_data() {
        QTest::addColumn<int>("seed");
        for (int seed = 1; seed <= 24; ++seed) QTest::addRow("%d", seed) << seed;
    }
    void what_was_put_together_is_taken_apart() {
        QFETCH(int, seed);
        Rng rng(static_cast<std::uint64_t>(seed) * 7919);
        constexpr int columns = 6, kinds = 4;
        // Units: smooth walks through a space of standard deviations, each beginning at rest near the origin and going its own way.
        std::vector<aligning::Unit> units(kinds);
        for (int k = 0; k < kinds; ++k) {
            auto& u = units[static_cast<std::size_t>(k)];
            u.entry = static_cast<std::size_t>(k);
            u.side = Side::left;
            const int n = 20 + static_cast<int>(rng.uniform(0, 25));
            u.rows.resize(n, columns);
            Eigen::RowVectorXd at = Eigen::RowVectorXd::Zero(columns), speed = Eigen::RowVectorXd::Zero(columns);
            for (int i = 0; i < n; ++i) {
                for (int c = 0; c < columns; ++c) speed[c] = 0.8 * speed[c] + 0.25 * rng.gauss();
                at += speed;
                u.rows.row(i) = at;
            }
            u.rests.assign(static_cast<std::size_t>(n), false);
            for (int i = n / 2; i < n / 2 + 2; ++i) u.rests[static_cast<std::size_t>(i)] = true; // a hold in the middle
            u.times.resize(static_cast<std::size_t>(n));
        }
        Eigen::MatrixXd still = Eigen::MatrixXd::Zero(1, columns);
        struct Put {
            std::size_t unit;
            int from, to; // moments of the clip, both inside
        };
        std::vector<Put> put;
        std::vector<Eigen::RowVectorXd> rows;
        double cost = 0; // of the way it was put together, but for beginnings
        const auto add = [&](const Eigen::RowVectorXd& row) {
            Eigen::RowVectorXd noisy = row;
            for (int c = 0; c < columns; ++c) noisy[c] += 0.12 * rng.gauss();
            cost += (noisy - row).squaredNorm() / columns;
            rows.push_back(noisy);
        };
        const auto stand = [&](int n) {
            for (int i = 0; i < n; ++i) add(still.row(0)), cost += aligning::standing_price;
        };
        stand(6);
        for (std::size_t k = 0; k < units.size(); ++k) {
            if (seed % 3 == 1 && k == 2) continue; // one left out
            const auto& u = units[k].rows;
            const int from = static_cast<int>(rows.size());
            for (int i = 0; i < u.rows();) {
                add(u.row(i));
                if (units[k].rests[static_cast<std::size_t>(i)])
                    for (int held = static_cast<int>(rng.uniform(0, 12)); held > 0; --held) add(u.row(i));
                const double pace = rng.uniform();
                if (pace < 0.25 && i > 0 && !units[k].rests[static_cast<std::size_t>(i)]) add(u.row(i)); // at this moment for a second time
                i += pace > 0.75 && i + 2 < u.rows() ? 2 : 1;                                            // or one is passed over
            }
            put.push_back({k, from, static_cast<int>(rows.size()) - 1});
            stand(4 + static_cast<int>(rng.uniform(0, 8)));
        }
        Eigen::MatrixXd student(static_cast<Eigen::Index>(rows.size()), columns);
        for (std::size_t i = 0; i < rows.size(); ++i) student.row(static_cast<Eigen::Index>(i)) = rows[i];
        double found_cost = 0;
        const auto found = aligning::explained(units, student, still, found_cost, aligning::in_any_order);
        QCOMPARE(found.size(), put.size());
        for (std::size_t k = 0; k < put.size(); ++k) {
            QCOMPARE(found[k].unit, put[k].unit);
            QVERIFY2(std::abs(found[k].start - put[k].from) <= 4 && std::abs(found[k].end - put[k].to) <= 4,
                     qPrintable(QString("%1-%2 for %3-%4").arg(found[k].start).arg(found[k].end).arg(put[k].from).arg(put[k].to)));
            QCOMPARE(found[k].from, 0);
            QCOMPARE(found[k].to, static_cast<int>(units[put[k].unit].rows.rows()) - 1);
            if (k > 0) QVERIFY(found[k].start > found[k - 1].end);
            for (const auto& [from, to] : found[k].stays) QVERIFY(from >= found[k].start && to <= found[k].end && from <= to);
        }
        // Beginnings cost one each, unevenness a little a moment: nothing else was paid for.
        const double most = cost + static_cast<double>(put.size()) + aligning::in_any_order.uneven * static_cast<double>(rows.size());
        QVERIFY2(found_cost <= most + 1e-9, qPrintable(QString("%1 for %2").arg(found_cost).arg(most)));
        // Blocks of the product are no borders: a clip that ends anywhere is taken apart alike up to there.
        for (const Eigen::Index n : {Eigen::Index(31), Eigen::Index(32), Eigen::Index(33), student.rows() - 1}) {
            if (n > student.rows()) continue;
            double some = 0;
            const auto part = aligning::explained(units, student.topRows(n), still, some, aligning::in_any_order);
            for (const auto& c : part) QVERIFY(c.start >= 0 && c.end < n && c.start <= c.end && c.unit < units.size());
            QVERIFY(some <= found_cost + 2.5 + 1e-9); // less to explain, and at most a part that is cut
        }
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
