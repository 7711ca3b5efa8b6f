#include "core/review/agreed.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTest>

using namespace bevel;

class TestJudgement : public QObject {
    Q_OBJECT

    static std::shared_ptr<const Review> reviewed(const std::string& id, const std::string& fault, View view, std::uint64_t seed,
                                                  double noise_px = 2.0, double stature = 1.7, double tempo = 1) {
        sim::TakeOptions o = sim::take_of(seed, stature);
        o.student.score.repetitions = 1;
        o.student.tempo = tempo;
        if (!fault.empty()) o.student.faults.push_back(*sim::parse_fault(fault));
        if (view != View::three_d) o.phone.view = view;
        const auto m = test::movement(id);
        const sim::Take take(m, o);
        ReviewOptions ro;
        ro.view = view;
        ro.stature_m = stature;
        auto r = make_review(view == View::three_d ? test::room_track(take) : test::pixel_track(take, noise_px, seed), m, ro);
        return r ? *r : nullptr;
    }

private slots:
    void bands_widen_and_errors_too_large_cannot_tell() {
        bool widened = false;
        std::optional<double> low = 0, high = 10;
        QCOMPARE(verdict_of(5, 1, low, high, 0, widened), Verdict::inside);
        QCOMPARE(verdict_of(11, 1, low, high, 0, widened), Verdict::edge); // beyond, but by less than 1.64 sigma
        QCOMPARE(verdict_of(11.7, 1, low, high, 0, widened), Verdict::outside);
        QCOMPARE(verdict_of(11.7, 1, low, high, 2, widened), Verdict::edge); // within what still counts as edge
        QVERIFY(!widened);
        QCOMPARE(verdict_of(40, 6, low, high, 0, widened), Verdict::cannot_tell);
        QCOMPARE(verdict_of(12, 4, low, high, 0, widened), Verdict::inside);
        QVERIFY(widened && *low == -3 && *high == 13);
    }
    void repetitions_sides_and_phases_are_found() {
        for (const char* id : {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"}) {
            sim::TakeOptions o = sim::take_of(4, 1.7);
            o.student.score.repetitions = 2;
            o.student.tempo = 1.25;
            const auto m = test::movement(id);
            const sim::Take take(m, o);
            ReviewOptions ro;
            ro.view = View::three_d;
            const auto r = make_review(test::room_track(take), m, ro);
            QVERIFY2(r.has_value(), id);
            const auto& reps = (*r)->alignment.repetitions;
            QCOMPARE(reps.size(), std::size_t{4});
            for (std::size_t i = 0; i < reps.size(); ++i)
                QVERIFY(m.id == "separate_the_clouds" ? !reps[i].side : reps[i].side == (i % 2 == 0 ? Side::left : Side::right));
            double worst = 0;
            for (const auto& p : take.truth().phases)
                for (std::size_t k = 0; k < m.phases.size(); ++k)
                    if (m.phases[k].id == p.id)
                        worst = std::max(worst, std::abs(reps[static_cast<std::size_t>(p.repetition)].phases[k].end_s - p.end_s));
            QVERIFY2(worst < 1.0, qPrintable(QStringLiteral("%1: a phase border is off by %2 s").arg(QLatin1String(id)).arg(worst)));
        }
    }
    void named_faults_are_found_in_their_best_view_data() {
        QTest::addColumn<QString>("movement");
        QTest::addColumn<QString>("fault");
        QTest::addColumn<int>("view");
        QTest::addColumn<QString>("check");
        auto row = [](const char* m, const char* f, View v, const char* c) {
            QTest::newRow(f) << QString::fromLatin1(m) << QString::fromLatin1(f) << static_cast<int>(v) << QString::fromLatin1(c);
        };
        row("separate_the_clouds", "stance_narrow=0.5", View::front, "stance");
        row("gaze_at_the_moon", "stance_wide=0.5", View::front, "stance");
        row("gaze_at_the_moon", "knee_in=18", View::front, "knee_in");
        row("part_the_horses_mane", "knee_past_toe=16", View::left, "front_knee_ahead");
        row("part_the_horses_mane", "early_weight=1.6", View::three_d, "shift_after_flat");
        row("gaze_at_the_moon", "shift_incomplete=0.28", View::front, "shift_arrives");
        row("separate_the_clouds", "lean_forward=16", View::left, "trunk_lean");
        row("separate_the_clouds", "lean_side.left=13", View::front, "trunk_side");
        row("separate_the_clouds", "head_forward=10", View::right, "head");
        row("gaze_at_the_moon", "turn_gap=35", View::three_d, "together");
        row("gaze_at_the_moon", "hurried_shift=0.7", View::front, "shift_duration");
        row("gaze_at_the_moon", "halting_shift=1.5", View::front, "shift_stops");
        row("part_the_horses_mane", "hips_turn_foot_off=30", View::three_d, "hips_quiet");
        row("separate_the_clouds", "knee_locked=7", View::three_d, "knee_soft");
    }
    void named_faults_are_found_in_their_best_view() {
        QFETCH(QString, movement);
        QFETCH(QString, fault);
        QFETCH(int, view);
        QFETCH(QString, check);
        for (const std::uint64_t seed : {12U, 15U, 18U}) {
            const auto r = reviewed(movement.toStdString(), fault.toStdString(), static_cast<View>(view), seed, 2.0,
                                    1.58 + 0.02 * static_cast<double>(seed - 12) * 2);
            QVERIFY(r);
            bool found = false;
            QString seen;
            for (const auto& f : r->findings)
                if (f.check == check.toStdString()) {
                    found = found || f.verdict == Verdict::outside;
                    seen += QStringLiteral(" seed %1: %2 (%3 ± %4)")
                                .arg(seed)
                                .arg(QString::fromStdString(std::string(verdict_name(f.verdict))))
                                .arg(f.value)
                                .arg(f.sigma);
                }
            QVERIFY2(found, qPrintable(seen));
        }
    }
    void faultless_students_get_no_safety_or_groundwork_finding() {
        QStringList wrong;
        for (const char* id : {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"})
            for (std::uint64_t seed = 30; seed < 42; ++seed)
                for (const View v : {View::front, View::left, View::three_d}) {
                    const double stature = 1.45 + 0.04 * static_cast<double>(seed - 30);
                    const auto r = reviewed(id, "", v, seed, 1.5, stature, 0.8 + 0.05 * static_cast<double>(seed % 12));
                    if (!r) {
                        wrong
                            << QStringLiteral("%1 seed %2 from %3 not reviewed").arg(QLatin1String(id)).arg(seed).arg(static_cast<int>(v));
                        continue;
                    }
                    for (const auto& f : r->findings)
                        if (f.verdict == Verdict::outside && (f.severity == Severity::safety || f.severity == Severity::ground))
                            wrong << QStringLiteral("%1 seed %2 view %3: %4 %5 ± %6")
                                         .arg(QLatin1String(id))
                                         .arg(seed)
                                         .arg(static_cast<int>(v))
                                         .arg(QString::fromStdString(f.check))
                                         .arg(f.value)
                                         .arg(f.sigma);
                }
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join(QLatin1Char('\n'))));
    }
    void safety_leads_and_the_rest_goes_from_the_ground_up() {
        const auto r = reviewed("gaze_at_the_moon", "knee_in=18", View::front, 14);
        QVERIFY(r);
        int stage = 0;
        Family last = Family::feet;
        for (const auto& f : r->findings) {
            if (f.verdict != Verdict::outside) break;
            const int now = f.severity == Severity::safety ? 0 : 1;
            QVERIFY(now >= stage);
            if (now != stage) last = Family::feet;
            QVERIFY(static_cast<int>(f.family) >= static_cast<int>(last));
            last = f.family;
            stage = now;
        }
        QCOMPARE(r->findings.front().severity, Severity::safety);
    }
    void a_wrong_movement_fits_worse_than_the_right_one() {
        const auto m = test::movement("part_the_horses_mane");
        auto o = sim::take_of(12, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take take(m, o);
        ReviewOptions ro;
        ro.view = View::three_d;
        const auto right = make_review(test::room_track(take), m, ro),
                   wrong = make_review(test::room_track(take), test::movement("separate_the_clouds"), ro);
        QVERIFY(right.has_value());
        QVERIFY((*right)->alignment.repetitions.front().cost < 0.1);
        QVERIFY(!wrong || (*wrong)->alignment.repetitions.front().cost > 0.3);
        // Nothing like it at all: somebody who only stands there.
        Track still;
        for (int i = 0; i < 300; ++i) {
            still.time_s.push_back(i / 30.0);
            still.px.emplace_back();
            still.m.emplace_back(take.truth().points[10]);
        }
        QCOMPARE(make_review(still, m, ro).error().context, std::string("no_repetition"));
    }
    void a_school_changes_bands() {
        Movement m = test::movement("part_the_horses_mane");
        const auto school = load_school(test::data_dir() / "schools/inclined.json");
        QVERIFY(school.has_value());
        apply(m, school->changes);
        for (const auto& c : m.checks)
            if (c.id == "trunk_lean@shift") QVERIFY(c.low == 10 && c.high == 30);
        BandChange off;
        off.rule = "S3";
        off.off = true;
        apply(m, {off});
        QVERIFY(std::none_of(m.checks.begin(), m.checks.end(), [](const Check& c) { return c.rule == "S3"; }));
    }
    void a_phase_switches_a_rule_off_or_sets_its_own_band() {
        auto source = *read_text(test::data_dir() / "movements/separate_the_clouds.json", 1 << 20);
        const std::string place = "\"id\": \"sink\",";
        QVERIFY(source.find(place) != std::string::npos);
        auto with = [&](const std::string& exceptions) {
            auto s = source;
            s.replace(s.find(place), place.size(), place + " \"exceptions\": " + exceptions + ",");
            return parse_movement(s);
        };
        const auto plain = parse_movement(source);
        auto check = [](const Movement& m, const std::string& id) {
            for (const auto& c : m.checks)
                if (c.id == id) return &c;
            return static_cast<const Check*>(nullptr);
        };
        QVERIFY(plain.has_value() && check(*plain, "trunk_lean"));
        const auto off = with(R"([{"rule": "S1", "measure": "trunk.lean", "off": true, "reason": "the bow comes here"}])");
        QVERIFY(off.has_value());
        const auto* rest = check(*off, "trunk_lean");
        QVERIFY(rest && !rest->phases.empty() && std::find(rest->phases.begin(), rest->phases.end(), "sink") == rest->phases.end());
        const auto own = with(R"([{"rule": "S1", "measure": "trunk.lean", "low": 10, "high": 40, "reason": "the bow comes here"}])");
        QVERIFY(own.has_value());
        const auto* there = check(*own, "trunk_lean@sink");
        QVERIFY(there && there->low == 10 && there->high == 40 && there->phases == std::vector<std::string>{"sink"} &&
                there->reason == "the bow comes here");
        QVERIFY(!with(R"([{"rule": "S1", "off": true}])")); // a reason is owed
        QVERIFY(!with(R"([{"rule": "S1", "measure": "trunk.lean", "low": "x", "reason": "y"}])"));
        // A school's band leaves the phase its own.
        Movement m = *own;
        BandChange school;
        school.rule = "S1";
        school.measure = "trunk.lean";
        school.high = 30;
        school.reason = "leans by custom";
        apply(m, {school});
        QVERIFY(check(m, "trunk_lean")->high == 30 && check(m, "trunk_lean")->reason == "leans by custom");
        QVERIFY(check(m, "trunk_lean@sink")->high == 40);
        // Upright where the bow is asked for is now what is found.
        sim::TakeOptions o = sim::take_of(12, 1.7);
        o.student.score.repetitions = 1;
        ReviewOptions ro;
        ro.view = View::three_d;
        const auto r = make_review(test::room_track(sim::Take(*plain, o)), *own, ro);
        QVERIFY(r.has_value());
        const auto* f = test::find(**r, "trunk_lean@sink");
        QVERIFY(f && f->verdict == Verdict::outside && f->reason == "the bow comes here");
        QCOMPARE(test::find(**r, "trunk_lean")->verdict, Verdict::inside);
    }
    void the_lowest_cause_is_named() {
        const auto r = reviewed("part_the_horses_mane", "knee_past_toe=18", View::three_d, 14);
        QVERIFY(r);
        for (const auto& f : r->findings)
            for (const auto& above : f.cause_of) {
                const auto* g = test::find(*r, above);
                QVERIFY(g && g->verdict == Verdict::outside && f.verdict == Verdict::outside);
                QVERIFY(static_cast<int>(f.family) <= static_cast<int>(g->family)); // from the ground up
            }
    }
    void the_review_file_reads_back() {
        const auto r = reviewed("gaze_at_the_moon", "knee_in=18", View::front, 12);
        QVERIFY(r);
        const auto file = parse_review_json(review_json(*r, "clip.mp4"));
        QVERIFY(file.has_value());
        QCOMPARE(file->movement, std::string("gaze_at_the_moon"));
        QCOMPARE(file->findings.size(), r->findings.size());
        QCOMPARE(file->findings.front().check, r->findings.front().check);
        QVERIFY(!parse_review_json("{\"clip\": 3}"));
    }
    void warping_finds_a_known_stretch() {
        Eigen::MatrixXd a(50, 1), b(80, 1);
        for (int i = 0; i < 50; ++i) a(i, 0) = std::sin(i * 0.12);
        for (int i = 0; i < 80; ++i) b(i, 0) = std::sin(i * 0.12 * 49 / 79);
        double cost = 0;
        const auto path = warp(a, b, 0.2, cost);
        QVERIFY(!path.empty() && cost < 0.01);
        for (const auto& [i, j] : path) QVERIFY(std::abs(i / 49.0 - j / 79.0) < 0.06);
        Eigen::MatrixXd longer(400, 1);
        longer.setZero();
        QVERIFY(warp(a, longer, 0.2, cost).empty()); // steeper than 3
    }

    /// What was agreed takes away what is asked for, never what keeps safe.
    void limits_are_never_asked_against_and_never_loosen_safety() {
        const auto movements = load_movements(test::data_dir());
        for (const char* limit : {"high_stance", "no_overhead", "no_balance", "seated", "no_bends", "no_twists", "care_knees",
                                  "care_low_back", "care_neck", "care_shoulders", "nothing_known"})
            for (const auto& m : movements) {
                Movement after = m;
                apply(after, changes_of_limit(limit, "agreed"), BandLevel::student);
                for (const auto& c : m.checks) {
                    if (c.severity != Severity::safety) continue;
                    const auto same = std::find_if(after.checks.begin(), after.checks.end(), [&](const Check& x) { return x.id == c.id; });
                    QVERIFY2(same != after.checks.end() && same->low == c.low && same->high == c.high, (m.id + " " + c.id).c_str());
                }
                if (std::string(limit) == "high_stance" || std::string(limit) == "care_knees")
                    for (const auto& c : after.checks) {
                        // Nobody is sent lower.
                        const bool depth = c.measure == "hip.height" && c.severity != Severity::safety && (c.rule == "H3");
                        QVERIFY2(!depth || !c.high, (m.id + " " + c.id).c_str());
                    }
            }
        // Who sinks less is told so; with the limit, or on a day without strength, not. Who sinks too deep still is.
        Movement high = test::movement("squat_and_scoop");
        BandChange up;
        up.higher = 0.09;
        apply(high, {up});
        auto o = sim::take_of(4, 1.7);
        o.student.score.repetitions = 3;
        const Track track = test::room_track(sim::Take(high, o));
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = 1.7;
        const auto asks_lower = [&](const std::vector<BandChange>& agreed) {
            ReviewOptions with = ro;
            with.adaptations = agreed;
            const auto r = make_review(track, test::movement("squat_and_scoop"), with);
            if (!r) return -1;
            int n = 0;
            for (const auto& f : (*r)->findings) n += f.rule == "H3" && f.verdict == Verdict::outside && f.direction == Direction::high;
            return n;
        };
        QVERIFY(asks_lower({}) > 0);
        QCOMPARE(asks_lower(changes_of_limit("high_stance", "agreed")), 0);
        QCOMPARE(asks_lower(changes_of_tired_day("little energy")), 0);
    }

    /// A knee before the toe is a matter of shape, and of safety for who has to take care of the knees.
    void care_for_the_knees_makes_their_line_a_matter_of_safety() {
        const auto m = test::movement("brush_and_push");
        auto o = sim::take_of(4, 1.7);
        o.student.faults.push_back({sim::Fault::knee_past_toe, 16, std::nullopt});
        const Track track = test::room_track(sim::Take(m, o));
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = 1.7;
        for (const bool care : {false, true}) {
            ro.adaptations = care ? changes_of_limit("care_knees", "agreed") : std::vector<BandChange>{};
            const auto r = make_review(track, m, ro);
            QVERIFY(r);
            const Finding* f = nullptr;
            for (const auto& x : (*r)->findings)
                if (x.check.starts_with("front_knee_ahead") && x.verdict == Verdict::outside) f = &x;
            QVERIFY(f);
            QCOMPARE(f->severity, care ? Severity::safety : Severity::shape);
            if (care) {
                QCOMPARE((*r)->findings.front().severity, Severity::safety);
                QCOMPARE(f->reason, std::string("agreed"));
            }
        }
    }

    void pain_is_understood_in_the_students_words() {
        using L = std::vector<std::string>;
        QCOMPARE(cares_of_pain("left Knee, a little"), L{"care_knees"});
        QCOMPARE(cares_of_pain("das rechte Knie und der Nacken"), (L{"care_knees", "care_neck"}));
        QCOMPARE(cares_of_pain("im Rücken"), L{"care_low_back"});
        QCOMPARE(cares_of_pain("RÜCKEN"), L{"care_low_back"});
        QCOMPARE(cares_of_pain("both shoulders"), L{"care_shoulders"});
        QCOMPARE(cares_of_pain(""), L{});
        QCOMPARE(cares_of_pain("a toe"), L{});
    }
};
QTEST_GUILESS_MAIN(TestJudgement)
#include "test_judgement.moc"
