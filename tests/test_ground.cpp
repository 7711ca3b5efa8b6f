// Layers, camera, floor, facing, scale and neutral: a track put on the ground, against the practice room's own truth.
#include "core/form/form.h"
#include "core/ground/by_hand.h"
#include "core/ground/derive.h"
#include "core/ground/plan.h"
#include "core/measure/measures.h"
#include "support/odd.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <cmath>
#include <numbers>
#include <QTest>
#include <random>

using namespace bevel;

namespace {

sim::TakeOptions calm(std::uint64_t seed, View view) {
    auto o = sim::take_of(seed, 1.7);
    o.student.score.repetitions = 1;
    o.phone.view = view;
    return o;
}

Result<Motion> grounded(const sim::Take& take, std::optional<View> view = std::nullopt) {
    MotionOptions o;
    o.view = view;
    o.stature_m = take.student().dims().stature;
    return make_motion(test::pixel_track(take, 1, 3), o);
}

double median_of(const Measures& m, const std::string& key, double from, double to) {
    std::vector<double> v;
    const auto& s = m.series.at(key).samples;
    for (std::size_t i = 0; i < s.size(); ++i)
        if (s[i].present() && m.time_s[i] >= from && m.time_s[i] <= to) v.push_back(s[i].value);
    std::sort(v.begin(), v.end());
    return v.empty() ? NAN : v[v.size() / 2];
}

} // namespace

/// A pinhole of the tests' own: world point (right, up, ahead) from a camera at the origin, `down` radians lower, turned by `roll`.
static Vec2 seen(const Vec3& p, double focal, double down, double roll, double k, int w, int h) {
    const double ahead = p.z() * std::cos(down) - p.y() * std::sin(down), up = p.y() * std::cos(down) + p.z() * std::sin(down);
    const double x = focal * p.x() / ahead, y = -focal * up / ahead;
    Vec2 q(std::cos(roll) * x - std::sin(roll) * y, std::sin(roll) * x + std::cos(roll) * y);
    const double r2 = q.squaredNorm() / (0.25 * (w * w + h * h));
    return Vec2(w / 2.0, h / 2.0) + q * (1 + k * r2);
}

class TestGround : public QObject {
    Q_OBJECT
private slots:
    void a_mat_on_the_floor_tells_the_camera_to_within_its_error() {
        int n = 0, focal = 0, pitch = 0, roll = 0, height = 0, length = 0;
        std::mt19937 rng(5);
        std::normal_distribution<double> pixel(0, 1.5), one(0, 1);
        std::uniform_real_distribution<double> even(-1, 1);
        double tighter = 0;
        for (int round = 0; round < 60; ++round) {
            const double f = 1280 * 0.82 * std::exp(0.2 * one(rng)), down = (9 + 6 * even(rng)) / 57.2958, turn = 2 * one(rng) / 57.2958,
                         high = 1.2 + 0.3 * even(rng), yaw = even(rng), far = 3.2 + 0.6 * even(rng), aside = 0.5 * even(rng);
            FloorMark mat;
            mat.wide_m = 1.8;
            mat.long_m = 1.2;
            const std::array<Vec2, 4> flat{Vec2(-0.9, -0.6), Vec2(0.9, -0.6), Vec2(0.9, 0.6), Vec2(-0.9, 0.6)};
            std::array<Vec2, 4> exact;
            for (std::size_t i = 0; i < 4; ++i) {
                const Vec3 p(aside + std::cos(yaw) * flat[i].x() - std::sin(yaw) * flat[i].y(), -high,
                             far + std::sin(yaw) * flat[i].x() + std::cos(yaw) * flat[i].y());
                exact[i] = seen(p, f, down, turn, 0, 1280, 720);
                mat.corners[i] = exact[i] + Vec2(pixel(rng), pixel(rng));
            }
            const auto plan = plan_from(mat, {1280, 720, std::nullopt, std::nullopt, 0});
            QVERIFY2(plan.has_value(), qPrintable(QString::number(round)));
            auto sigma = [&](std::size_t row) {
                double sum = 0;
                for (std::size_t col = 0, k = row * (row + 1) / 2; col <= row; ++col) sum += plan->root[k + col] * plan->root[k + col];
                return std::sqrt(sum);
            };
            ++n;
            focal += std::abs(std::log(plan->focal_px / f)) < 2 * sigma(0);
            pitch += std::abs(plan->pitch - down) < 2 * sigma(1);
            roll += std::abs(plan->roll - turn) < 2 * sigma(2);
            height += std::abs(std::log(plan->height_m / high)) < 2 * sigma(3);
            // A length on that floor which was not marked: a diagonal of a stance a metre away.
            const Vec3 a(aside - 0.3, -high, far - 0.2), b(aside + 0.3, -high, far + 0.4);
            const auto told = floor_length(*plan, seen(a, f, down, turn, 0, 1280, 720), seen(b, f, down, turn, 0, 1280, 720), 1280, 720);
            QVERIFY(told.has_value());
            length += std::abs(*told / (a - b).norm() - 1) < 0.05;
            tighter += sigma(1) * 57.2958;
        }
        auto share = [&](int k) { return static_cast<double>(k) / n; };
        QVERIFY2(share(focal) > 0.85 && share(pitch) > 0.85 && share(roll) > 0.85 && share(height) > 0.85,
                 qPrintable(QStringLiteral("focal %1 pitch %2 roll %3 height %4")
                                .arg(share(focal))
                                .arg(share(pitch))
                                .arg(share(roll))
                                .arg(share(height))));
        QVERIFY2(share(length) > 0.9, qPrintable(QString::number(share(length))));
        QVERIFY(tighter / n < 3); // the prior alone: 7 degrees
    }
    void what_is_no_mat_is_refused() {
        FloorMark crossed{{Vec2(100, 500), Vec2(600, 600), Vec2(580, 500), Vec2(120, 600)}, 1.8, 1.2};
        QVERIFY(!plan_from(crossed, {1280, 720, std::nullopt, std::nullopt, 0}));
        FloorMark line{{Vec2(100, 500), Vec2(300, 500), Vec2(500, 500), Vec2(700, 500)}, 1.8, 1.2};
        QVERIFY(!plan_from(line, {1280, 720, std::nullopt, std::nullopt, 0}));
        FloorMark upside{{Vec2(300, 300), Vec2(700, 310), Vec2(900, 40), Vec2(100, 50)}, 1.8, 1.2}; // wider far up: a ceiling
        QVERIFY(!plan_from(upside, {1280, 720, std::nullopt, std::nullopt, 0}));
        FloorMark wrong{{Vec2(400, 500), Vec2(800, 500), Vec2(860, 620), Vec2(340, 620)}, 1.8, 0.0};
        QVERIFY(!plan_from(wrong, {1280, 720, std::nullopt, std::nullopt, 0}));
        QVERIFY(!plan_from(wrong, {0, 0, std::nullopt, std::nullopt, 0}));
    }
    void straight_edges_tell_the_lens() {
        std::mt19937 rng(6);
        std::normal_distribution<double> pixel(0, 0.7);
        for (const double k : {-0.05, 0.0, 0.04}) {
            std::vector<StraightEdge> edges(2);
            // Two shelf edges, above and at one side, four metres away.
            for (int i = 0; i < 7; ++i) {
                const double u = -1 + i / 3.0;
                edges[0].push_back(seen(Vec3(1.9 * u, 0.9, 4), 1000, 0, 0, k, 1280, 720) + Vec2(pixel(rng), pixel(rng)));
                edges[1].push_back(seen(Vec3(2.1, 0.9 * u, 4), 1000, 0, 0, k, 1280, 720) + Vec2(pixel(rng), pixel(rng)));
            }
            const auto lens = lens_from(edges, 1280, 720);
            QVERIFY(lens.has_value());
            QVERIFY2(std::abs(lens->k - k) < 2.5 * lens->sigma && lens->sigma < 0.01,
                     qPrintable(QStringLiteral("%1: %2 +- %3").arg(k).arg(lens->k).arg(lens->sigma)));
        }
        QVERIFY(!lens_from({{Vec2(10, 10), Vec2(20, 10), Vec2(30, 10)}}, 1280, 720)); // too short
        QVERIFY(!lens_from({{Vec2(10, 10), Vec2(900, 10)}}, 1280, 720));              // two points are always straight
    }
    void a_marked_floor_makes_figures_surer_and_right() {
        // A camera that is nothing like what is usual: its own focal length and tilt, no upright edges.
        sim::TakeOptions o = sim::take_of(71, 1.75);
        o.student.score.repetitions = 1;
        o.phone.focal = 1.15;
        o.phone.tilt_deg = 9;
        o.phone.height_m = 1.5;
        o.phone.distance_m = 5.6;
        o.phone.bare = true;
        o.vertical_known = false;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        Track t = test::pixel_track(take, 1.0, 71);
        t.vertical.reset();
        const sim::Camera camera = sim::Camera::of(o.phone);
        FloorMark mat;
        mat.wide_m = 1.8;
        mat.long_m = 1.2;
        const std::array<Vec3, 4> flat{Vec3(-0.9, 0, 0.5), Vec3(0.9, 0, 0.5), Vec3(0.9, 0, -0.7), Vec3(-0.9, 0, -0.7)};
        for (std::size_t i = 0; i < 4; ++i) mat.corners[i] = camera.project(flat[i]);
        const auto plan = plan_from(mat, {t.width, t.height, std::nullopt, std::nullopt, 0});
        QVERIFY(plan.has_value());
        QVERIFY(std::abs(plan->height_m - 1.5) < 0.1 && std::abs(plan->focal_px / (1.15 * 1280) - 1) < 0.08);
        MotionOptions mo;
        mo.view = View::front;
        mo.stature_m = 1.75;
        const auto before = make_motion(t, mo);
        t.layers.plan = *plan;
        const auto now = make_motion(t, mo);
        QVERIFY2(before.has_value(), before ? "" : before.error().context.c_str());
        QVERIFY2(now.has_value(), now ? "" : now.error().context.c_str());
        QVERIFY(now->camera->height.from == From::mark && now->scale_from == From::mark && now->vertical_known);
        // Length of the stance against the performed points, and what is stated for it.
        auto compare = [&](const Motion& m) {
            const auto ms = measure(m, {});
            const auto* s = ms.find("stance.length", std::nullopt);
            double error = 0, sigma = 0;
            int k = 0;
            for (std::size_t i = 0; s && i < s->samples.size(); i += 5) {
                if (!s->samples[i].present()) continue;
                const auto truth = test::frame_truth(take, i, {});
                const auto it = truth.value.find("stance.length");
                if (it == truth.value.end()) continue;
                error += std::abs(s->samples[i].value - it->second);
                sigma += s->samples[i].sigma;
                ++k;
            }
            return std::array<double, 3>{k > 0 ? error / k : NAN, k > 0 ? sigma / k : NAN, static_cast<double>(k)};
        };
        const auto a = compare(*before), b = compare(*now);
        QVERIFY2(b[2] > 20, qPrintable(QString::number(b[2])));
        if (a[2] > 20)
            QVERIFY2(b[1] < a[1] && b[0] < a[0] + 0.02,
                     qPrintable(QStringLiteral("error %1 -> %2, stated %3 -> %4").arg(a[0]).arg(b[0]).arg(a[1]).arg(b[1])));
        QVERIFY2(b[0] < 2 * b[1] + 0.02, qPrintable(QStringLiteral("error %1, stated %2").arg(b[0]).arg(b[1])));
    }
    void a_ray_and_its_pixel_belong_together() {
        Camera c;
        c.focal = {1100, 0.1, From::assumed};
        c.distortion = {0.03, 0.02, From::assumed};
        c.pitch = {0.12, 0.01, From::room};
        c.roll = {-0.07, 0.01, From::room};
        c.settle();
        for (const Vec3& p : {Vec3(0.4, -1.0, 4), Vec3(-1.2, 0.6, 3), Vec3(0, 0, 5), Vec3(1.5, -1.2, 4.5)}) {
            const Vec2 q = c.project(p), r = c.ray(q.x(), q.y());
            QVERIFY(std::abs(r.x() * p.z() - p.x()) < 1e-3);
            QVERIFY(std::abs(r.y() * p.z() - p.y()) < 1e-3);
        }
    }
    void the_camera_of_the_room_is_told_with_its_sigma() {
        auto o = calm(5, View::front);
        o.phone.tilt_deg = 6;
        o.phone.roll_deg = 3;
        o.phone.height_m = 1.4;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        Track t = test::pixel_track(take, 1, 3);
        t.focal_px = 0.8 * 1280; // stated by the file
        MotionOptions mo;
        mo.stature_m = 1.7;
        const auto m = make_motion(t, mo);
        QVERIFY(m.has_value() && m->camera.has_value());
        const Camera& c = *m->camera;
        QCOMPARE(c.focal.from, From::stated);
        QCOMPARE(c.roll.from, From::room);
        QVERIFY(std::abs(c.roll.value + 3 * deg) < 0.01);
        QVERIFY(std::abs(c.pitch.value - 6 * deg) < 0.01);
        QVERIFY2(std::abs(c.height.value - 1.4) < 0.1, qPrintable(QString::number(c.height.value)));
        QVERIFY2(std::abs(c.distance - 4.2) < 0.15, qPrintable(QString::number(c.distance)));
    }
    void without_edges_the_vertical_is_unknown_and_what_rests_on_it_absent() {
        auto o = calm(6, View::front);
        o.vertical_known = false;
        const sim::Take front(test::movement("separate_the_clouds"), o);
        const auto m = grounded(front);
        QVERIFY(m.has_value());
        QVERIFY(!m->vertical_known);
        const Measures ms = measure(*m);
        for (const char* id : {"trunk.side", "plumb.side"})
            QCOMPARE(ms.series.at(id).absent_throughout(), std::optional(Absent::no_vertical));
        QVERIFY(!ms.series.at("knee.inward.left").absent_throughout());
        o.phone.view = View::left;
        const sim::Take side(test::movement("separate_the_clouds"), o);
        const Measures from_side = measure(*grounded(side));
        QCOMPARE(from_side.series.at("plumb.forward").absent_throughout(), std::optional(Absent::no_vertical));
        // The lean is told, and carries the unknown roll in its sigma.
        const auto& lean = from_side.series.at("trunk.lean").samples[40];
        QVERIFY(lean.present() && lean.clip > 2.5F);
        // A vertical marked by hand stands for the room's.
        Track t = test::pixel_track(front, 1, 3);
        t.layers.vertical = VerticalOnPicture{0, std::tan(3 * deg) / 1024, 0.004, 3e-6, true};
        MotionOptions mo;
        mo.stature_m = 1.7;
        const auto marked = make_motion(t, mo);
        QVERIFY(marked->vertical_known);
        QCOMPARE(marked->camera->roll.from, From::mark);
        QVERIFY(!measure(*marked).series.at("trunk.side").absent_throughout());
    }
    void facing_is_found_at_any_angle_and_kept_through_turns_of_the_waist() {
        for (const double turn : {-40.0, -20.0, 15.0, 35.0, 70.0, 100.0, 150.0}) {
            auto o = calm(7, View::front);
            o.phone.turn_deg = turn;
            const sim::Take take(test::movement("gaze_at_the_moon"), o); // turns the waist by 40 degrees each way
            const auto m = grounded(take);
            QVERIFY(m.has_value());
            const double off = std::remainder(m->start_azimuth / deg - turn, 360);
            QVERIFY2(std::abs(off) < 13, qPrintable(QStringLiteral("turned %1: off by %2").arg(turn).arg(off)));
            for (std::size_t i = 0; i < m->frames(); ++i) QVERIFY(std::abs(m->facing[i]) < 15 * deg);
        }
    }
    void a_student_who_turns_is_followed() {
        auto o = calm(8, View::front);
        o.student.score.repetitions = 2;
        o.student.turn_deg = 50;
        const sim::Take take(test::movement("separate_the_clouds"), o);
        const auto exact = [&] {
            MotionOptions mo;
            mo.view = View::three_d;
            return make_motion(test::room_track(take), mo);
        }();
        QVERIFY(exact.has_value());
        QVERIFY(std::abs(exact->facing.front()) < 2 * deg);
        QVERIFY2(std::abs(exact->facing.back() - 50 * deg) < 4 * deg, qPrintable(QString::number(exact->facing.back() / deg)));
        const auto seen = grounded(take);
        QVERIFY2(std::abs(seen->facing.back() - 50 * deg) < 15 * deg, qPrintable(QString::number(seen->facing.back() / deg)));
        // Measured in the student's own axes: the lean stays what it is.
        const Measures ms = measure(*exact);
        for (std::size_t i = 5; i + 5 < exact->frames(); i += 40)
            QVERIFY(std::abs(ms.series.at("trunk.lean").samples[i].value - test::frame_truth(take, i, {}).value.at("trunk.lean")) < 1.5);
    }
    /// Who sits does not stand quietly, though nobody said how tall they are; who stands does, tall or small.
    void who_sits_is_no_quiet_stand() {
        const auto neutral = [](const char* id, double stature, View view) {
            auto o = sim::take_of(5, stature);
            o.student.score.repetitions = 1;
            o.phone.view = view;
            MotionOptions mo;
            mo.view = view; // and no height
            const auto m = make_motion(test::pixel_track(sim::Take(test::movement(id), o), 0.7, 3), mo);
            return m ? std::optional(m->neutral.source) : std::nullopt;
        };
        for (const View view : {View::front, View::back, View::left}) {
            for (const double stature : {1.5, 1.7, 1.9}) {
                QVERIFY(neutral("seated_rise_and_sink", stature, view) == NeutralSource::proportions);
                QVERIFY(neutral("gaze_at_the_moon", stature, view) == NeutralSource::quiet_second);
            }
            QVERIFY(neutral("gaze_at_the_moon", 1.2, view) == NeutralSource::quiet_second);
        }
    }
    /// Who walks to or away from the camera grows and shrinks on the picture, and stays as tall.
    void who_walks_to_the_camera_keeps_their_size() {
        const auto data = std::filesystem::path(BEVEL_SOURCE_DIR) / "data";
        const auto movements = load_movements(data);
        const auto forms = load_forms(data);
        const auto form = std::find_if(forms.begin(), forms.end(), [](const LinkedForm& f) { return f.id == "twelve_at_the_quay"; });
        const auto course = link(*form, movements);
        QVERIFY(course.has_value());
        for (const View view : {View::front, View::back}) {
            auto o = sim::take_of(4, 1.7);
            o.phone.view = view;
            o.phone.fps = 12;
            o.phone = sim::seeing_all(sim::Student(course->score(), o.student), o.phone);
            const sim::Take take(course->score(), o);
            const auto m = grounded(take, view);
            QVERIFY(m.has_value());
            double nearest = 1e9, farthest = 0;
            std::vector<double> off;
            for (std::size_t i = 0; i < m->frames(); i += 6) {
                const Body3& truth = take.truth().points[i];
                const double away = (mid(m->m[i], left_hip) - m->camera_at).norm();
                nearest = std::min(nearest, away), farthest = std::max(farthest, away);
                off.push_back(mid(m->m[i], left_hip).y() / mid(truth, left_hip).y() - 1);
            }
            std::sort(off.begin(), off.end());
            QVERIFY2(farthest / nearest > 1.3, qPrintable(QString("%1 to %2 m").arg(nearest).arg(farthest)));
            QVERIFY2(off[off.size() / 10] > -0.06 && off[9 * off.size() / 10] < 0.06,
                     qPrintable(QString("%1 %2").arg(off[off.size() / 10]).arg(off[9 * off.size() / 10])));
        }
    }
    /// A turn that is known is the way faced; a stretch of it is a clip of its own, seen from where it is.
    void a_known_turn_is_taken_and_a_stretch_is_seen_from_its_own_side() {
        auto o = calm(6, View::front);
        const sim::Take take(test::movement("push_and_sit_back"), o);
        const Track track = test::pixel_track(take, 1, 3);
        MotionOptions options;
        options.view = View::front;
        options.stature_m = take.student().dims().stature;
        const double half = track.time_s[track.time_s.size() / 2];
        // Nobody turns: told so, nothing changes but what is said of the facing.
        options.turned = {{0, 0}, {track.time_s.back(), 0}};
        const auto still = make_motion(track, options);
        options.turned.clear();
        const auto plain = make_motion(track, options);
        QVERIFY(still && plain);
        QCOMPARE(still->view, View::front);
        for (std::size_t i = 0; i < still->frames(); i += 10)
            QVERIFY(std::abs(std::remainder(still->azimuth[i] - plain->azimuth[i], 2 * std::numbers::pi)) < 0.12);
        // A turn by a quarter half-way: the picture is of the other side from there on.
        auto from_the_side = calm(6, View::right);
        const Track side = test::pixel_track(sim::Take(test::movement("push_and_sit_back"), from_the_side), 1, 3);
        Track both = track;
        for (std::size_t i = 0; i < both.frames(); ++i)
            if (both.time_s[i] > half) both.px[i] = side.px[i];
        options.turned = {{0, 0}, {half - 0.1, 0}, {half + 0.1, 0.5 * std::numbers::pi}, {track.time_s.back(), 0.5 * std::numbers::pi}};
        const auto turned = make_motion(both, options);
        QVERIFY(turned.has_value());
        const PersonNeutral nobody;
        const Motion before = stretch_of(*turned, 0, half - 0.5, nobody), after = stretch_of(*turned, half + 0.5, 1e9, nobody);
        QVERIFY(before.frames() > 30 && after.frames() > 30 && after.time_s.front() >= half + 0.5 && before.time_s.back() < half - 0.5);
        QVERIFY(before.has_x && !before.has_z && after.has_z && !after.has_x);
        QCOMPARE(after.view, View::right); // who turns to own left shows the right side
        for (const Motion* m : {&before, &after}) {
            QCOMPARE(m->m.size(), m->frames());
            QCOMPARE(m->sigma.size(), m->frames());
            QCOMPARE(m->azimuth.size(), m->frames());
            QVERIFY(!m->grid.empty() && m->grid.back() < m->frames());
            for (const auto& e : m->shared) QVERIFY(e.moved.empty() || e.moved.size() == m->grid.size());
            const Measures ms = measure(*m); // all of it can be measured
            QCOMPARE(ms.time_s.size(), m->frames());
        }
        if (before.neutral.source == NeutralSource::quiet_second) QCOMPARE(after.neutral.source, NeutralSource::proportions);
        QCOMPARE(stretch_of(*turned, 1e6, 2e6, nobody).frames(), std::size_t(0));
        QCOMPARE(stretch_of(*turned, -5, -1, nobody).frames(), std::size_t(0));
    }
    /// Who stands on the toes of both feet has none of them off the floor: the share of weight is not moved by it.
    void heels_that_rise_together_calibrate_nothing() {
        for (const View view : {View::front, View::back}) {
            auto o = calm(3, view);
            o.student.score.repetitions = 3;
            const sim::Take take(test::movement("heel_raise_and_drop"), o);
            const auto m = grounded(take, view);
            QVERIFY(m.has_value());
            const Measures ms = measure(*m);
            std::vector<double> off;
            const auto& s = ms.series.at("weight.left").samples;
            for (std::size_t i = 0; i < s.size(); ++i)
                if (s[i].present() && s[i].value > 0.02 && s[i].value < 0.98) off.push_back(std::abs(s[i].value - 0.5) / s[i].sigma);
            std::sort(off.begin(), off.end());
            QVERIFY2(off.empty() || off[off.size() / 2] < 1.64, qPrintable(QString::number(off.empty() ? 0 : off[off.size() / 2])));
        }
    }
    void points_in_metres_may_lie_anywhere() {
        // Turned, shifted and raised: nothing changes but the place. Figures in own axes, SW and degrees.
        const sim::Take take(test::movement("part_the_horses_mane"), calm(9, View::front));
        const Track home = test::room_track(take);
        Track moved = home;
        const double a = 2.1;
        for (auto& f : moved.m)
            for (auto& p : *f)
                p = Vec3(p.x() * std::cos(a) + p.z() * std::sin(a) + 3, p.y() - 0.7, -p.x() * std::sin(a) + p.z() * std::cos(a) - 2);
        MotionOptions mo;
        mo.view = View::three_d;
        mo.stature_m = 1.7;
        const Measures x = measure(*make_motion(home, mo)), y = measure(*make_motion(moved, mo));
        for (const auto& [key, s] : x.series) {
            const auto& other = y.series.at(key);
            for (std::size_t i = 0; i < s.samples.size(); i += 25) {
                QCOMPARE(other.samples[i].absent, s.samples[i].absent);
                if (!s.samples[i].present()) continue;
                const double off = s.unit == "deg" ? std::remainder(other.samples[i].value - s.samples[i].value, 360)
                                                   : other.samples[i].value - s.samples[i].value;
                QVERIFY2(std::abs(off) < 1e-3 + 0.02 * s.samples[i].sigma, qPrintable(QStringLiteral("%1 at %2: %3 and %4")
                                                                                          .arg(QString::fromStdString(key))
                                                                                          .arg(x.time_s[i])
                                                                                          .arg(s.samples[i].value)
                                                                                          .arg(other.samples[i].value)));
            }
        }
    }
    void a_body_set_by_hand_is_measured_like_a_found_one() {
        // A person sets every point to within a pixel or two; no network was asked.
        const sim::Take take(test::movement("gaze_at_the_moon"), calm(10, View::front));
        const Track& exact = take.track();
        Track hand;
        hand.time_s = exact.time_s;
        hand.px.resize(exact.frames());
        hand.m.resize(exact.frames());
        hand.width = exact.width;
        hand.height = exact.height;
        hand.vertical = exact.vertical;
        std::mt19937 random(5);
        std::normal_distribution<double> shaky(0, 1.2);
        for (std::uint32_t i = 0; i < exact.frames(); ++i)
            for (int k = 0; k < point_count; ++k) {
                const auto& p = (*exact.px[i])[static_cast<std::size_t>(k)];
                hand.layers.edits.push_back({i, static_cast<Point>(k), p.x + shaky(random), p.y + shaky(random), i % 10 != 0});
            }
        QCOMPARE(bodies_by_hand(hand.layers).size(), (exact.frames() + 9) / 10);
        // A frame with a point missing has no body.
        hand.layers.edits.pop_back();
        const Track layered = with_layers(hand);
        QVERIFY(layered.px[0] && !layered.px[exact.frames() - 1]);
        MotionOptions mo;
        mo.stature_m = 1.70;
        mo.view = View::front;
        const auto motion = make_motion(hand, mo);
        QVERIFY(motion.has_value());
        const Measures m = measure(*motion);
        int told = 0, within = 0;
        for (std::size_t i = 10; i + 10 < exact.frames(); i += 6) {
            const auto& s = m.series.at("stance.width").samples[i];
            if (!s.present()) continue;
            const auto& t = *exact.m[i];
            const double width = std::abs(t[left_ankle].x() - t[right_ankle].x()) / std::abs(t[left_shoulder].x() - t[right_shoulder].x());
            if (std::abs(t[left_shoulder].z() - t[right_shoulder].z()) > 0.02) continue; // turned: its shoulders are no yardstick
            ++told;
            within += std::abs(s.value - width) < 3 * std::hypot(s.sigma, 0.0) + 0.02 ? 1 : 0;
        }
        QVERIFY2(told > 10 && within >= told * 9 / 10, qPrintable(QStringLiteral("%1 of %2").arg(within).arg(told)));
        // One to begin with stands within the picture, left and right as the camera sees them.
        const BodyPx front = standing_body(View::front, false, 1280, 720), back = standing_body(View::back, false, 1280, 720);
        QVERIFY(front[left_ankle].x > front[right_ankle].x && back[left_ankle].x < back[right_ankle].x);
        QVERIFY(standing_body(View::left, false, 1280, 720)[left_toe].x < standing_body(View::left, false, 1280, 720)[left_heel].x);
        for (const auto& p : front) QVERIFY(p.x > 300 && p.x < 980 && p.y > 60 && p.y < 700);
    }
    void mirroring_swaps_the_sides_and_nothing_else() {
        const sim::Take take(test::movement("gaze_at_the_moon"), calm(10, View::front));
        const Track plain = test::pixel_track(take, 1, 3);
        Track flipped = plain;
        for (auto& f : flipped.px) {
            const BodyPx b = *f;
            for (int k = 0; k < point_count; ++k) {
                auto q = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
                q.x = flipped.width - q.x;
                (*f)[static_cast<std::size_t>(k)] = q;
            }
        }
        flipped.vertical->roll = -flipped.vertical->roll;
        flipped.layers.mirrored = true;
        MotionOptions mo;
        mo.stature_m = 1.7;
        const Measures a = measure(*make_motion(plain, mo)), b = measure(*make_motion(flipped, mo));
        for (const auto& [key, s] : a.series)
            for (std::size_t i = 0; i < s.samples.size(); i += 20) {
                QCOMPARE(b.series.at(key).samples[i].absent, s.samples[i].absent);
                QVERIFY(!s.samples[i].present() || std::abs(b.series.at(key).samples[i].value - s.samples[i].value) < 1e-6);
            }
        // Drawn on the picture as filmed, its points lie where they were found.
        const Track drawn = drawn_points(flipped);
        QVERIFY(std::abs((*drawn.px[10])[left_knee].x - (*flipped.px[10])[right_knee].x) < 1e-9);
        // Not told that it is mirrored but from which side it was filmed, the clip gives itself away.
        const sim::Take side(test::movement("part_the_horses_mane"), calm(10, View::left));
        mo.view = View::right;
        const auto m = make_motion(test::pixel_track(side, 1, 3), mo);
        QCOMPARE(m->mirrored_hint, std::string("view"));
    }
    void a_head_that_is_told_too_near_is_put_ahead_again() {
        // As the network tells it: two thirds of the way between head and shoulders, the head back and the shoulders along.
        const auto told = [](double head_cm, View view, bool as_network) {
            auto o = calm(4, view);
            if (head_cm > 0) o.student.faults.push_back({sim::Fault::head_forward, head_cm, std::nullopt});
            const sim::Take take(test::movement("quiet_stand"), o);
            Track t = take.track();
            const double height = body_height_px(t);
            for (auto& f : t.px) {
                const double side = view == View::left ? -1 : view == View::right ? 1 : 0;
                const double by = (mid_px(*f, left_ear).x() - mid_px(*f, left_shoulder).x()) * side - HeadAhead::usual * height;
                const double missing = as_network ? side * by * (1 - HeadAhead::told) : 0;
                for (const Point p : {nose, left_eye, right_eye, left_ear, right_ear}) (*f)[p].x -= HeadAhead::of_head * missing;
                for (const Point p : {left_shoulder, right_shoulder}) (*f)[p].x += (1 - HeadAhead::of_head) * missing;
            }
            return t;
        };
        const auto apart = [](const Track& t, std::size_t f) {
            return mid_px(*t.px[f], left_ear).x() - mid_px(*t.px[f], left_shoulder).x();
        };
        for (const View view : {View::left, View::right}) {
            const double side = view == View::left ? -1 : 1;
            const Track exact = told(11, view, false);
            Track t = told(11, view, true);
            const std::size_t f = t.frames() / 2;
            const double before = side * (apart(exact, f) - apart(t, f)), px_a_cm = body_height_px(t) / (0.887 * 170);
            QVERIFY(before > 2.5 * px_a_cm);
            const BodyPx raw = *t.px[f];
            put_heads_ahead(t, rough_azimuth(t));
            const double after = side * (apart(exact, f) - apart(t, f));
            // What people at ease differ by is left: never beyond the truth, and a third and more of what was missing is back.
            QVERIFY2(after > -0.3 * px_a_cm && after < 0.67 * before, qPrintable(QStringLiteral("%1 of %2").arg(after).arg(before)));
            QVERIFY((*t.px[f])[left_ear].sigma > raw[left_ear].sigma);
            for (const Point p : {left_hip, right_knee, left_ankle, left_wrist}) QCOMPARE((*t.px[f])[p].x, raw[p].x);
            QVERIFY(std::abs(((*t.px[f])[nose].x - raw[nose].x) - ((*t.px[f])[left_ear].x - raw[left_ear].x)) < 1e-9); // one head
        }
        // At ease, and from the front, nothing is moved; frames without a body stay so.
        for (const auto& [cm, view] : {std::pair{0.0, View::left}, {11.0, View::front}}) {
            Track t = told(cm, view, false);
            t.px[3].reset();
            const Track was = t;
            put_heads_ahead(t, rough_azimuth(t));
            QVERIFY(!t.px[3]);
            for (std::size_t f = 5; f < t.frames(); f += 30) QVERIFY(std::abs(apart(t, f) - apart(was, f)) < 0.5);
        }
        Track empty;
        put_heads_ahead(empty, {});
    }
    void trimmed_frames_and_edits_are_layers() {
        const sim::Take take(test::movement("gaze_at_the_moon"), calm(11, View::front));
        Track t = test::pixel_track(take, 1, 3);
        t.layers.trim_from_s = 1.0;
        t.layers.trim_to_s = 12.0;
        t.layers.edits = {{60, left_wrist, 500, 300}};
        const Track d = derive(t);
        QVERIFY(!d.px[10] && d.px[40] && !d.px[400]);
        QCOMPARE((*d.px[60])[left_wrist].x, 500.0);
        QVERIFY((*d.px[60])[left_wrist].sigma < 4);
        QVERIFY((*t.px[60])[left_wrist].x != 500.0); // the raw points stay
    }
    void the_networks_own_offsets_are_taken_out_and_their_rest_is_stated() {
        const sim::Take take(test::movement("separate_the_clouds"), calm(12, View::front));
        Track t = test::pixel_track(take, 0, 3);
        const Track given = derive(t);
        QVERIFY(std::abs((*given.px[20])[left_ankle].y - (*t.px[20])[left_ankle].y) < 1e-9); // points as given are not corrected
        t.model = "full";
        const Track found = derive(t);
        const auto& ankle = (*found.px[20])[left_ankle];
        const double tall = body_height_px(t);
        QVERIFY(ankle.y - (*t.px[20])[left_ankle].y > 0.01 * tall); // the network's ankle sits too high
        QVERIFY(ankle.bias > 0.003 * tall && ankle.bias < 0.03 * tall);
    }
    void smoothing_keeps_to_gaps_and_cuts() {
        const sim::Take take(test::movement("gaze_at_the_moon"), calm(13, View::front));
        Track t = take.track();
        for (std::size_t i = 100; i < t.frames(); ++i) // cut: the person stands elsewhere from one frame to the next
            for (auto& p : *t.px[i]) p.x += 300;
        const Track before = t;
        smooth(t, 6);
        for (const std::size_t i : {99U, 100U})
            QVERIFY2(std::abs((*t.px[i])[left_hip].x - (*before.px[i])[left_hip].x) < 2,
                     qPrintable(QString::number((*t.px[i])[left_hip].x - (*before.px[i])[left_hip].x)));
    }
    void only_a_quiet_upright_second_is_a_neutral() {
        for (const double fps : {24.0, 60.0, 120.0}) {
            auto o = calm(14, View::left);
            o.phone.fps = fps;
            const sim::Take whole(test::movement("gaze_at_the_moon"), o);
            const auto m = grounded(whole);
            QCOMPARE(m->neutral.source, NeutralSource::quiet_second);
            QVERIFY2(m->neutral.to_s < 2.2 || m->neutral.from_s > whole.truth().time_s.back() - 2.5,
                     qPrintable(QString::number(m->neutral.from_s)));
            o.from_s = 4.2;
            o.to_s = 9;
            const sim::Take moving(test::movement("gaze_at_the_moon"), o);
            QCOMPARE(grounded(moving)->neutral.source, NeutralSource::proportions);
        }
    }
    void oblique_views_tell_what_they_can() {
        auto o = calm(15, View::front);
        o.phone.turn_deg = 45;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        const auto m = grounded(take);
        QVERIFY(m.has_value());
        QCOMPARE(m->view, View::oblique);
        const Measures ms = measure(*m);
        for (const char* id : {"trunk.side", "knee.flexion.left", "knee.inward.left", "pelvis.tilt"})
            QVERIFY2(ms.series.at(id).absent_throughout().has_value(), id);
        for (const char* id : {"hip.height", "hand.height.left", "step.facing"}) QVERIFY2(!ms.series.at(id).absent_throughout(), id);
    }
    void a_marked_length_and_a_known_height_agree() {
        const sim::Take take(test::movement("separate_the_clouds"), calm(16, View::front));
        Track t = test::pixel_track(take, 0.5, 3);
        // A mark from ankle to hip of the standing student, in the plane of the body.
        const Body3& b = take.truth().points[5];
        const auto &hip = (*take.track().px[5])[left_hip], &ankle = (*take.track().px[5])[left_ankle];
        t.layers.scale = MarkedLength{hip.x, hip.y, ankle.x, ankle.y, (b[left_hip] - b[left_ankle]).norm()};
        MotionOptions mo;
        mo.stature_m = 1.7;
        const auto by_mark = make_motion(t, mo);
        QCOMPARE(by_mark->scale_from, From::mark);
        t.layers.scale.reset();
        const auto by_height = make_motion(t, mo);
        QVERIFY(std::abs(by_mark->camera->distance / by_height->camera->distance - 1) < 0.05);
    }
    void body_size_and_tempo_leave_the_figures_alone() {
        // The same faultless performance by a child and a tall person, slow and quick: angles and SW agree within what is stated.
        std::vector<std::array<double, 3>> figures;
        for (const auto& [stature, tempo] : {std::pair{1.25, 1.0}, {1.95, 1.0}, {1.7, 0.7}, {1.7, 1.6}}) {
            auto o = sim::take_of(17, stature);
            o.student.score.repetitions = 1;
            o.student.proportion_spread = 0;
            o.student.tempo = tempo;
            o.student.tempo_spread = 0;
            const sim::Take take(test::movement("separate_the_clouds"), o);
            MotionOptions mo;
            mo.view = View::three_d;
            mo.stature_m = stature;
            const Measures ms = measure(*make_motion(test::room_track(take), mo));
            figures.push_back({median_of(ms, "stance.width", 5 * tempo, 9 * tempo),
                               median_of(ms, "knee.flexion.left", 5 * tempo, 9 * tempo),
                               median_of(ms, "trunk.lean", 5 * tempo, 9 * tempo)});
        }
        for (const auto& f : figures) {
            QVERIFY(std::abs(f[0] - figures[0][0]) < 0.02);
            QVERIFY2(std::abs(f[1] - figures[0][1]) < 3, qPrintable(QStringLiteral("%1 and %2").arg(f[1]).arg(figures[0][1])));
            QVERIFY(std::abs(f[2] - figures[0][2]) < 1);
        }
    }
    void a_locked_knee_is_really_locked() {
        auto o = calm(18, View::left);
        o.student.faults = {{sim::Fault::knee_locked, 12, std::nullopt}};
        const sim::Take take(test::movement("separate_the_clouds"), o);
        double least = 90;
        for (std::size_t f = 0; f < take.frames(); ++f)
            for (const char* key : {"knee.flexion.left", "knee.flexion.right"})
                least = std::min(least, test::frame_truth(take, f, {}).value.at(key));
        QVERIFY2(least < -1 && least > -9, qPrintable(QString::number(least)));
        MotionOptions mo;
        mo.view = View::three_d;
        const Measures ms = measure(*make_motion(test::room_track(take), mo));
        double found = 90;
        for (const auto& s : ms.series.at("knee.flexion.left").samples)
            if (s.present()) found = std::min(found, s.value);
        QVERIFY2(found < 0, qPrintable(QString::number(found)));
    }
    void stated_sigma_through_the_whole_camera_is_what_chance_gives() {
        // Monte Carlo: other lenses, tilts, scales and places than the one that is assumed, drawn from what is assumed of them.
        std::map<std::string, std::vector<double>> off;
        std::map<std::string, double> said;
        Rng rng(2718);
        for (int k = 0; k < 60; ++k) {
            auto o = calm(40 + static_cast<std::uint64_t>(k), View::left);
            o.phone.focal = 0.82 * std::exp(0.28 * rng.gauss());
            o.phone.focal = std::clamp(o.phone.focal, 0.45, 1.7);
            o.phone.distance_m = 4.2 * o.phone.focal / 0.8;
            o.phone.tilt_deg = std::clamp(2 + 7 * rng.gauss() * 0.6, -6.0, 10.0);
            o.phone.height_m = 0.85 + o.phone.distance_m * std::tan(o.phone.tilt_deg * deg);
            o.phone.height_m = std::clamp(o.phone.height_m, 0.4, 2.2);
            o.phone.roll_deg = 3 * rng.gauss();
            o.phone.turn_deg = 4 * rng.gauss();
            o.vertical_known = false;
            const sim::Take take(test::movement("gaze_at_the_moon"), o);
            const auto m = grounded(take);
            QVERIFY(m.has_value());
            const Measures ms = measure(*m);
            const std::size_t f = 40 + static_cast<std::size_t>(k) * 4;
            const auto truth = test::frame_truth(take, f, {}).value;
            for (const char* key : {"trunk.lean", "knee.flexion.left", "knee.ahead.left", "hand.height.left"}) {
                const auto& s = ms.series.at(key).samples[f];
                if (!s.present()) continue;
                off[key].push_back((s.value - truth.at(key)) / s.sigma);
                said[key] += s.sigma;
            }
        }
        for (const auto& [key, z] : off) {
            double sum = 0;
            for (const double v : z) sum += v * v;
            const double rms = std::sqrt(sum / static_cast<double>(z.size()));
            QVERIFY2(rms > 0.35 && rms < 1.35,
                     qPrintable(QStringLiteral("%1: errors are %2 of what is stated").arg(QString::fromStdString(key)).arg(rms)));
        }
    }
};
QTEST_GUILESS_MAIN(TestGround)
#include "test_ground.moc"
