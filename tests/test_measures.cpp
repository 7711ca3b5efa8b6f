#include "support/plain_body.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <cmath>
#include <QTest>

using namespace bevel;
using test::plain;

namespace {

Motion still(const Body3& b) {
    Track t;
    for (int i = 0; i < 60; ++i) {
        t.time_s.push_back(i / 30.0);
        t.px.emplace_back();
        t.m.emplace_back(b);
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = 1.70;
    return *make_motion(t, o);
}

double value(const Body3& b, const std::string& key) {
    const Measures m = measure(still(b));
    const auto& s = m.series.at(key).samples[30];
    return s.present() ? s.value : NAN;
}

bool near(double a, double b, double tolerance = 1e-6) {
    return std::abs(a - b) < tolerance;
}

} // namespace

class TestMeasures : public QObject {
    Q_OBJECT
private slots:
    void stance_is_told_along_both_axes() {
        Motion motion = still(plain()); // standing fixes SW at 0.36 m
        for (auto& f : motion.m) f[left_ankle] += Vec3(0.09, 0, 0.45);
        motion.shared.clear(); // of the body as it stood
        const Measures m = measure(motion);
        QVERIFY(near(m.series.at("stance.width").samples[30].value, 0.45 / 0.36));
        QVERIFY(near(m.series.at("stance.length").samples[30].value, 0.45 / 0.36));
    }
    void knee_flexion_is_signed() {
        Body3 b = plain();
        // Thigh and shank of 0.42 m, knee forward, bent by 40 degrees.
        b[left_hip] = Vec3(0.18, 0.07 + 2 * 0.42 * std::cos(20 * deg), 0);
        b[left_knee] = Vec3(0.18, 0.07 + 0.42 * std::cos(20 * deg), 0.42 * std::sin(20 * deg));
        QVERIFY(near(value(b, "knee.flexion.left"), 40));
        b[left_knee].z() = -0.42 * std::sin(5 * deg);
        b[left_knee].y() = 0.07 + 0.42 * std::cos(5 * deg);
        b[left_hip].y() = 0.07 + 2 * 0.42 * std::cos(5 * deg);
        QVERIFY(near(value(b, "knee.flexion.left"), -10));
    }
    void knee_inward_has_one_sign_on_both_sides() {
        Body3 b = plain();
        for (const Side s : {Side::left, Side::right}) {
            const double w = s == Side::left ? 1 : -1;
            b[static_cast<std::size_t>(on(s, left_hip))] = Vec3(w * 0.18, 0.90, 0);
            b[static_cast<std::size_t>(on(s, left_knee))] = Vec3(w * (0.18 - 0.05), 0.485, 0);
        }
        const double expected = 2 * std::atan2(0.05, 0.415) / deg;
        QVERIFY(near(value(b, "knee.inward.left"), expected));
        QVERIFY(near(value(b, "knee.inward.right"), expected));
    }
    void knee_inward_is_absent_with_toes_out_or_thigh_foreshortened() {
        Body3 b = plain();
        b[left_toe] = b[left_heel] + 0.26 * Vec3(std::sin(20 * deg), 0, std::cos(20 * deg));
        auto m = measure(still(b));
        QCOMPARE(m.series.at("knee.inward.left").samples[30].absent, Absent::toes_out);
        QVERIFY(m.series.at("knee.inward.right").samples[30].present());
        // The rest of the clip standing fixes the thigh's length; here it points at the camera.
        Motion motion = still(plain());
        for (auto& f : motion.m) f[left_knee] = Vec3(0.12, 0.72, 0.35);
        m = measure(motion);
        QCOMPARE(m.series.at("knee.inward.left").samples[30].absent, Absent::foreshortened);
    }
    void knee_ahead_is_in_cm_along_the_toe_line() {
        Body3 b = plain();
        b[left_knee].z() = 0.225;
        QVERIFY(near(value(b, "knee.ahead.left"), 3.0));
        QVERIFY(near(value(b, "knee.ahead.right"), -19.5));
    }
    void levels_and_turns() {
        Body3 b = plain();
        b[left_hip].y() += 0.18 * std::tan(6 * deg);
        QVERIFY(near(value(b, "pelvis.tilt"), 6));
        b = plain();
        // Turned 30 degrees to the own left: the left shoulder goes back.
        b[left_shoulder] = Vec3(0.18 * std::cos(30 * deg), 1.39, -0.18 * std::sin(30 * deg));
        b[right_shoulder] = Vec3(-0.18 * std::cos(30 * deg), 1.39, 0.18 * std::sin(30 * deg));
        QVERIFY(near(value(b, "shoulder.turn"), 30));
        QVERIFY(near(value(b, "turn.gap"), 30));
        QVERIFY(near(value(b, "shoulder.tilt"), 0));
    }
    void trunk_and_head() {
        Body3 b = plain();
        const double h = 0.49;
        for (const Point p : {left_shoulder, right_shoulder}) b[p] += Vec3(h * std::tan(4 * deg), 0, h * std::tan(9 * deg));
        QVERIFY(near(value(b, "trunk.lean"), 9));
        QVERIFY(near(value(b, "trunk.side"), 4));
        Motion m = still(plain());
        for (auto& f : m.m)
            for (const Point p : {left_ear, right_ear}) f[p].z() += 0.05;
        m.shared.clear(); // of the body as it stood
        QVERIFY(near(measure(m).series.at("head.offset").samples[30].value, 5.0));
        QVERIFY(near(value(plain(), "hip.height"), 1.0));
    }
    void weight_of_a_still_body_is_where_its_centre_hangs() {
        Body3 b = plain();
        QVERIFY(near(value(b, "weight.left"), 0.5, 1e-4));
        // The whole body above the ankles moved by a fifth of the distance between the feet; shanks, thighs and the rest move in part or
        // whole.
        const auto w = centre_weights(SegmentTable::of(Sex::mean));
        double moved = 0;
        for (int p = 0; p < point_count; ++p) {
            const auto q = static_cast<Point>(p);
            const bool foot = q == left_ankle || q == right_ankle || q == left_heel || q == right_heel || q == left_toe || q == right_toe;
            if (foot) continue;
            b[static_cast<std::size_t>(p)].x() += 0.072;
            moved += w[static_cast<std::size_t>(p)] * 0.072;
        }
        QVERIFY(near(value(b, "weight.left"), 0.5 + moved / 0.36, 1e-4));
    }
    void stated_sigma_is_what_chance_gives() {
        // Monte Carlo: every point of a bent body shaken by its own sigma.
        Body3 bent = plain();
        for (const Side s : {Side::left, Side::right}) {
            auto at = [&](Point p) -> Vec3& { return bent[static_cast<std::size_t>(on(s, p))]; };
            at(left_hip).y() = 0.80;
            at(left_knee) = Vec3(s == Side::left ? 0.15 : -0.15, 0.46, 0.16);
        }
        for (const Point p : {left_shoulder, right_shoulder}) bent[p] += Vec3(0.02, -0.1, 0.08);
        Motion m = still(plain());
        const double sigma = 0.006;
        const auto own = static_cast<float>(sigma);
        for (auto& s : m.sigma) s.fill({own, own, own, 0, 0});
        for (auto& b : m.m) b = bent;
        m.shared.clear(); // of the body as it stood
        const Measures stated = measure(m);
        Rng rng(77);
        Motion shaken = m;
        std::vector<std::string> keys{"knee.flexion.left", "knee.inward.right", "trunk.lean",      "trunk.side", "pelvis.tilt",
                                      "shoulder.turn",     "stance.width",      "knee.ahead.left", "hip.height"};
        std::map<std::string, std::vector<double>> values;
        for (int round = 0; round < 40; ++round) {
            for (auto& b : shaken.m) {
                b = bent;
                for (auto& p : b) p += sigma * Vec3(rng.gauss(), rng.gauss(), rng.gauss());
            }
            const Measures now = measure(shaken);
            for (const auto& k : keys)
                for (const auto& s : now.series.at(k).samples)
                    if (s.present()) values[k].push_back(s.value);
        }
        for (const auto& k : keys) {
            double mean = 0, var = 0;
            for (const double v : values[k]) mean += v / static_cast<double>(values[k].size());
            for (const double v : values[k]) var += (v - mean) * (v - mean) / static_cast<double>(values[k].size());
            const double said = stated.series.at(k).samples[30].own; // what the clip shares is not shaken here
            QVERIFY2(std::abs(said / std::sqrt(var) - 1) < 0.12,
                     qPrintable(QStringLiteral("%1: said %2, is %3").arg(QString::fromStdString(k)).arg(said).arg(std::sqrt(var))));
        }
    }
    void turned_hips_and_a_missing_neutral_leave_figures_out() {
        sim::TakeOptions o = sim::take_of(7, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take take(test::kept_movement("gaze_at_the_moon"), o);
        MotionOptions mo;
        mo.view = View::front;
        mo.stature_m = 1.7;
        const auto motion = make_motion(test::pixel_track(take, 0.5, 1), mo);
        QVERIFY(motion.has_value());
        const Measures m = measure(*motion);
        int turned = 0;
        for (std::size_t i = 0; i < motion->frames(); ++i) {
            const Vec3 d = take.truth().points[i][left_shoulder] - take.truth().points[i][right_shoulder];
            if (std::abs(std::atan2(d.z(), d.x())) / deg < 32) continue;
            ++turned;
            QCOMPARE(m.series.at("shoulder.tilt").samples[i].absent, Absent::turned);
        }
        QVERIFY(turned > 20);
        // From the side, cut to where nobody stands quietly.
        o.phone.view = View::left;
        o.from_s = 4;
        o.to_s = 9;
        const sim::Take busy(test::movement("gaze_at_the_moon"), o);
        mo.view = View::left;
        const auto side = make_motion(test::pixel_track(busy, 1, 1), mo);
        QVERIFY(side.has_value());
        QCOMPARE(side->neutral.source, NeutralSource::proportions);
        QCOMPARE(measure(*side).series.at("head.offset").absent_throughout(), std::optional(Absent::no_neutral));
        mo.shoulder_width_m = 0.40; // known from an earlier clip
        QCOMPARE(make_motion(test::pixel_track(busy, 1, 1), mo)->neutral.shoulder_width, 0.40);
    }
    void absence_has_its_reason_for_each_view() {
        sim::TakeOptions o = sim::take_of(7, 1.7);
        o.student.score.repetitions = 1;
        for (const View view : {View::front, View::left}) {
            o.phone.view = view;
            const sim::Take take(test::movement("separate_the_clouds"), o);
            MotionOptions mo;
            mo.view = view;
            mo.stature_m = 1.7;
            const auto motion = make_motion(test::pixel_track(take, 1, 1), mo);
            QVERIFY(motion.has_value());
            const Measures m = measure(*motion);
            const bool front = view == View::front;
            for (const char* id : {"trunk.side", "knee.inward.left", "weight.left", "pelvis.tilt"})
                QCOMPARE(m.series.at(id).absent_throughout() == std::optional(Absent::view), !front);
            for (const char* id : {"trunk.lean", "knee.flexion.left", "knee.ahead.right", "head.offset"})
                QCOMPARE(m.series.at(id).absent_throughout() == std::optional(Absent::view), front);
            QVERIFY(!m.series.at(front ? "stance.width" : "stance.length").absent_throughout());
            QCOMPARE(m.series.at("elbow.flexion.left").absent_throughout(), std::optional(Absent::view));
            QCOMPARE(m.series.at("back.upper").absent_throughout(), std::optional(Absent::not_marked));
        }
    }
    void feet_close_together_give_no_share() {
        Body3 b = plain();
        for (const Side s : {Side::left, Side::right})
            for (const Point p : {left_ankle, left_heel, left_toe})
                b[static_cast<std::size_t>(on(s, p))].x() = s == Side::left ? 0.05 : -0.05;
        QCOMPARE(measure(still(b)).series.at("weight.left").samples[20].absent, Absent::feet_close);
    }
    void shifts_match_a_closed_form() {
        // A minimum-jerk change from 0.1 to 0.8 in 2 s: 10 and 90 percent lie at 0.2475 and 0.7525 of it.
        std::vector<double> t, y;
        for (int i = 0; i < 360; ++i) {
            t.push_back(i / 60.0);
            const double u = std::clamp((t.back() - 2) / 2, 0.0, 1.0);
            y.push_back(0.1 + 0.7 * u * u * u * (10 - 15 * u + 6 * u * u));
        }
        const auto s = find_shifts(t, y, 0);
        QCOMPARE(s.size(), std::size_t{1});
        QVERIFY(near(s[0].start_s, 2 + 2 * 0.2475, 0.03));
        QVERIFY(near(s[0].end_s, 2 + 2 * 0.7525, 0.03));
        QCOMPARE(s[0].peaks, 1);
        QVERIFY(s[0].stop_s < 0.05);
    }
    void exact_points_give_exact_angles_contacts_and_shifts_data() {
        QTest::addColumn<QString>("movement");
        QTest::addColumn<bool>("filtered");
        for (const char* id : {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"})
            for (const bool filtered : {false, true})
                QTest::newRow(
                    qPrintable(QStringLiteral("%1 %2").arg(QLatin1String(id), filtered ? QLatin1String("filtered") : QLatin1String("raw"))))
                    << QString::fromLatin1(id) << filtered;
    }
    void exact_points_give_exact_angles_contacts_and_shifts() {
        QFETCH(QString, movement);
        QFETCH(bool, filtered);
        sim::TakeOptions o = sim::take_of(11, 1.62);
        o.student.score.repetitions = 1;
        o.phone.fps = 60;
        const sim::Take take(test::movement(movement.toStdString()), o);
        MotionOptions mo;
        mo.view = View::three_d;
        mo.stature_m = 1.62;
        mo.filter = filtered;
        const auto motion = make_motion(test::room_track(take), mo);
        QVERIFY(motion.has_value());
        const Measures m = measure(*motion);
        const auto truth_angles = [](const Body3& b) { // by other formulas than the measures use
            std::map<std::string, double> v;
            auto mid = [&](Point l) { return Vec3(0.5 * (b[l] + b[static_cast<std::size_t>(mirrored(l))])); };
            for (const Side s : {Side::left, Side::right}) {
                const std::string end = s == Side::left ? ".left" : ".right";
                auto p = [&](Point l) { return b[static_cast<std::size_t>(on(s, l))]; };
                v["knee.flexion" + end] =
                    std::acos(
                        std::clamp((p(left_knee) - p(left_hip)).normalized().dot((p(left_ankle) - p(left_knee)).normalized()), -1.0, 1.0)) /
                    deg;
                v["thigh" + end] = std::asin((p(left_hip).y() - p(left_knee).y()) / (p(left_hip) - p(left_knee)).norm()) / deg;
                const double upper = std::atan((p(left_knee).x() - p(left_hip).x()) / (p(left_hip).y() - p(left_knee).y()));
                const double lower = std::atan((p(left_ankle).x() - p(left_knee).x()) / (p(left_knee).y() - p(left_ankle).y()));
                v["knee.inward" + end] = (s == Side::left ? 1 : -1) * (lower - upper) / deg;
            }
            const Vec3 trunk = mid(left_shoulder) - mid(left_hip), hips = b[left_hip] - b[right_hip],
                       shoulders = b[left_shoulder] - b[right_shoulder];
            v["trunk.lean"] = std::atan(trunk.z() / trunk.y()) / deg;
            v["trunk.side"] = std::atan(trunk.x() / trunk.y()) / deg;
            v["pelvis.tilt"] = std::asin(hips.y() / hips.norm()) / deg;
            v["shoulder.tilt"] = std::asin(shoulders.y() / shoulders.norm()) / deg;
            v["pelvis.turn"] = -std::asin(hips.z() / std::hypot(hips.x(), hips.z())) / deg;
            v["shoulder.turn"] = -std::asin(shoulders.z() / std::hypot(shoulders.x(), shoulders.z())) / deg;
            return v;
        };
        std::map<std::string, double> worst;
        int contact_wrong = 0;
        for (std::size_t i = 0; i < take.frames(); ++i) {
            const Body3& b = take.truth().points[i];
            for (const auto& [key, v] : truth_angles(b))
                if (const auto& s = m.series.at(key).samples[i]; s.present()) worst[key] = std::max(worst[key], std::abs(s.value - v));
            worst["stance mm"] =
                std::max(worst["stance mm"], 1000 * std::abs(m.series.at("stance.width").samples[i].value * motion->neutral.shoulder_width -
                                                             std::abs(b[left_ankle].x() - b[right_ankle].x())));
            for (std::size_t s = 0; s < 2; ++s) {
                bool near_change = false;
                for (std::size_t k = i > 2 ? i - 2 : 0; k <= std::min(i + 2, take.frames() - 1); ++k)
                    near_change = near_change || take.truth().contact[k][s] != take.truth().contact[i][s];
                if (!near_change && m.contact[s][i] != take.truth().contact[i][s]) ++contact_wrong;
            }
        }
        for (const auto& [key, off] : worst)
            QVERIFY2(off < (key == "stance mm" ? 1.0
                            : filtered         ? 0.5
                                               : 0.1),
                     qPrintable(QStringLiteral("%1 %2").arg(QString::fromStdString(key)).arg(off)));
        QCOMPARE(contact_wrong, 0);
        // The student's own segments carry other masses than the measures assume: that moves the share, hardly the times of a shift.
        for (const auto& truth : test::shift_truth(take, 0.3)) {
            const auto found =
                std::find_if(m.shifts.begin(), m.shifts.end(), [&](const Shift& s) { return std::abs(s.start_s - truth.start_s) < 0.06; });
            QVERIFY2(found != m.shifts.end(), qPrintable(QStringLiteral("no shift at %1").arg(truth.start_s)));
            QVERIFY2(std::abs(found->end_s - truth.end_s) < 0.06, qPrintable(QString::number(found->end_s - truth.end_s)));
        }
    }
    void readings_are_refused_with_a_reason() {
        Track t;
        MotionOptions o;
        QCOMPARE(make_motion(t, o).error().context, std::string("too_short"));
        sim::TakeOptions so = sim::take_of(2, 1.7);
        so.student.score.repetitions = 1;
        so.phone.view = View::oblique;
        const sim::Take take(test::movement("gaze_at_the_moon"), so);
        o.view = View::oblique;
        QVERIFY(make_motion(test::pixel_track(take, 1, 1), o).has_value()); // measured where it can be
        o.view = View::three_d;
        QCOMPARE(make_motion(test::pixel_track(take, 1, 1), o).error().context, std::string("view_needed"));
        o.stature_m = 9;
        QCOMPARE(make_motion(test::pixel_track(take, 1, 1), o).error().code, Code::bad_value);
        Track nobody = test::pixel_track(take, 1, 1);
        for (auto& f : nobody.px) f.reset();
        o = {};
        o.view = View::front;
        QCOMPARE(make_motion(nobody, o).error().context, std::string("no_body"));
    }
};
QTEST_GUILESS_MAIN(TestMeasures)
#include "test_measures.moc"
