// The practice room: masses, camera, score and solver against hand-worked truth.
#include "core/movement/score.h"
#include "core/sim/figure.h"
#include "support/synthetic.h"
#include <clocale>
#include <cmath>
#include <QTest>

using namespace bevel;

class TestSim : public QObject {
    Q_OBJECT

private slots:
    void segment_masses_add_up_to_a_body() {
        for (const Sex sex : {Sex::female, Sex::male, Sex::mean}) {
            const auto t = SegmentTable::of(sex);
            const double sum = t.head + t.trunk + 2 * (t.upper_arm + t.forearm + t.hand + t.thigh + t.shank + t.foot);
            QVERIFY2(std::abs(sum - 1) < 0.002, qPrintable(QString::number(sum))); // the published shares are rounded
            double weights = 0;
            for (const double w : centre_weights(t)) {
                QVERIFY(w >= 0);
                weights += w;
            }
            QVERIFY(std::abs(weights - 1) < 1e-12);
        }
        // Every point at one place: the centre is there. One ankle moved by 10 cm moves it by its weight.
        Body3 b;
        b.fill(Vec3(0.3, 1.1, -0.2));
        const auto t = SegmentTable::of(Sex::mean);
        QVERIFY((body_centre(b, t) - Vec3(0.3, 1.1, -0.2)).norm() < 1e-12);
        b[left_ankle].x() += 0.1;
        QVERIFY(std::abs(body_centre(b, t).x() - 0.3 - 0.1 * centre_weights(t)[left_ankle]) < 1e-12);
    }
    void proportions_make_the_stature() {
        for (const double h : {1.45, 1.7, 2.0}) {
            const auto d = BodyDims::of_stature(h);
            QVERIFY(std::abs((d.shank + d.thigh + d.trunk + d.neck_to_ear) / h - 0.887) < 1e-9); // ankle to ear
            QVERIFY(std::abs(d.shoulder_width / h - 0.205) < 1e-12);
        }
    }
    void a_camera_projects_as_a_pinhole_does() {
        sim::PhoneOptions o;
        o.view = View::front;
        o.tilt_deg = 0;
        o.distance_m = 4;
        o.height_m = 1;
        o.focal = 0.8; // 1024 px
        const auto c = sim::Camera::of(o);
        QVERIFY((c.project(Vec3(0, 1, 0)) - Vec2(640, 360)).norm() < 1e-9);
        // From the front the student's own left is on the right of the picture; half a metre is 128 px at 4 m.
        QVERIFY((c.project(Vec3(0.5, 1, 0)) - Vec2(768, 360)).norm() < 1e-9);
        QVERIFY((c.project(Vec3(0, 1.5, 0)) - Vec2(640, 232)).norm() < 1e-9);
        QVERIFY((c.project(Vec3(0.5, 1, 2)) - Vec2(640 + 256, 360)).norm() < 1e-9); // nearer is larger
        o.view = View::back;
        QVERIFY(sim::Camera::of(o).project(Vec3(0.5, 1, 0)).x() < 640);
        o.view = View::left; // seen from the left they face the left edge
        QVERIFY(sim::Camera::of(o).project(Vec3(0, 1, 0.5)).x() < sim::Camera::of(o).project(Vec3(0, 1, 0)).x());
        o.view = View::right;
        QVERIFY(sim::Camera::of(o).project(Vec3(0, 1, 0.5)).x() > sim::Camera::of(o).project(Vec3(0, 1, 0)).x());
        // Looking down by 10 degrees moves the horizon up by f * tan(10 deg).
        o.view = View::front;
        o.tilt_deg = 10;
        const auto down = sim::Camera::of(o);
        const Vec2 horizon = down.project(Vec3(0, 1, -1e7));
        QVERIFY(std::abs(horizon.y() - (360 - 1024 * std::tan(10 * 3.14159265358979 / 180))) < 0.01);
    }
    void wrong_phones_are_refused() {
        sim::PhoneOptions o;
        QVERIFY(o.validate().empty());
        o.width = 1281;
        QCOMPARE(o.validate(), std::string("size"));
        o = {};
        o.fps = 1;
        QCOMPARE(o.validate(), std::string("fps"));
        o = {};
        o.view = View::three_d;
        QCOMPARE(o.validate(), std::string("view"));
    }
    void light_scales_the_picture() {
        auto o = sim::take_of(3, 1.7);
        o.phone.width = 320;
        o.phone.height = 240;
        o.phone.noise = 0;
        o.to_s = 0.02;
        auto mean = [&](double exposure) {
            o.phone.exposure = exposure;
            const auto im = sim::Take(test::movement("gaze_at_the_moon"), o).picture(0);
            double sum = 0;
            for (const auto v : im.rgb) sum += v;
            return sum / static_cast<double>(im.rgb.size());
        };
        QVERIFY(std::abs(mean(0.5) / mean(1) - 0.5) < 0.02);
    }
    void a_hand_closes_where_the_movement_closes_it() {
        const Movement m = test::movement("fists_tight_and_let_go");
        const sim::Student who(m, {});
        const sim::Figure figure(who.solver(), sim::Looks::reference());
        std::vector<Eigen::Vector3f> at, normal;
        // How far the surface of the left hand reaches beyond the knuckles, along the forearm, in shares of the stature.
        const auto reach = [&](double fist) {
            Posture p = m.home;
            p.left_hand.fist = p.right_hand.fist = fist;
            const Pose pose = who.solver().solve(channels_of(p));
            figure.skin(pose, at, normal);
            const Vec3 wrist = pose.points[left_wrist], dir = (wrist - pose.points[left_elbow]).normalized();
            double most = 0;
            for (std::size_t i = 0; i < at.size(); ++i)
                if (figure.mesh().vertices[i].stuff == sim::Stuff::skin && figure.mesh().vertices[i].rest.x() > 0)
                    most = std::max(most, (at[i].cast<double>() - wrist).dot(dir));
            return (most - who.dims().hand) / who.dims().stature;
        };
        const double open = reach(0), half = reach(0.5), closed = reach(1);
        QVERIFY2(open > 0.04 && open < 0.06, qPrintable(QString::number(open)));
        QVERIFY2(closed < 0.025, qPrintable(QString::number(closed)));
        QVERIFY(half < open && half > closed);
    }

    void the_figure_that_is_shown_stays_about_its_points() {
        for (const char* id : {"creep_low", "heel_kick", "seated_rise_and_sink", "gaze_at_the_moon", "fold_and_roll_up"}) {
            sim::StudentOptions o;
            o.score.repetitions = 1;
            const sim::Student who(test::movement(id), o);
            const sim::Figure figure(who.solver(), sim::Looks::reference());
            const auto& mesh = figure.mesh();
            QVERIFY(mesh.triangles.size() > 20000 && mesh.triangles.size() < 90000); // what can be drawn 25 times a second
            std::vector<Eigen::Vector3f> at, normal;
            for (double t = 0; t < who.duration(); t += 1.3) {
                const Pose pose = who.pose(t);
                figure.skin(pose, at, normal);
                for (std::size_t i = 0; i < at.size(); ++i) {
                    double nearest = 1e9; // to any point of the body
                    const Vec3 p = at[i].cast<double>();
                    for (const Vec3& q : pose.points) nearest = std::min(nearest, (p - q).norm());
                    QVERIFY2(at[i].allFinite() && nearest < 0.20 * who.dims().stature, id);
                    QVERIFY(std::abs(normal[i].norm() - 1) < 1e-3);
                }
            }
            // Cloth and skin have the colours they are given.
            const auto looks = sim::Looks::reference();
            QVERIFY((figure.colour(Eigen::Vector3f::Zero(), sim::Stuff::skin) - looks.skin.cast<float>()).norm() < 1e-6);
            QVERIFY((figure.colour(Eigen::Vector3f::Zero(), sim::Stuff::trousers) - looks.trousers.cast<float>()).norm() < 1e-6);
        }
    }

    void a_body_that_was_measured_and_a_surface_made_elsewhere_are_taken_as_they_are() {
        sim::StudentOptions o;
        o.dims = BodyDims::of_stature(1.62);
        o.dims->shank *= 1.07;
        o.legs = 1.2, o.proportion_spread = 0.1; // nothing is drawn on top of what was measured
        const sim::Student who(test::movement("brush_and_push"), o);
        QCOMPARE(who.dims().shank, o.dims->shank);
        QCOMPARE(who.dims().thigh, o.dims->thigh);
        const Pose pose = who.pose(1);
        QVERIFY(std::abs((pose.points[left_knee] - pose.points[left_ankle]).norm() - o.dims->shank) < 1e-6);
        // A square before the chest, red above and blue below: it goes where the chest goes, in its colours.
        const Pose rest = who.solver().rest();
        const Vec3 chest = 0.5 * (rest.points[left_shoulder] + rest.points[right_shoulder]);
        sim::Mesh mesh;
        for (const Vec3& corner : {Vec3(-0.2, -0.2, 0.2), Vec3(0.2, -0.2, 0.2), Vec3(0.2, 0.2, 0.2), Vec3(-0.2, 0.2, 0.2)}) {
            sim::Mesh::Vertex v;
            v.rest = (chest + corner).cast<float>();
            v.normal = Eigen::Vector3f(0, 0, 1);
            v.bone = {bone_chest, bone_chest, bone_chest};
            v.weight = {1, 0, 0};
            mesh.vertices.push_back(v);
        }
        mesh.triangles = {{0, 1, 2}, {0, 2, 3}};
        const Eigen::Vector3f red(0.9F, 0, 0), blue(0, 0, 0.9F);
        sim::PhoneOptions phone;
        phone.width = 320, phone.height = 400, phone.noise = 0;
        const sim::Film film(std::make_shared<const sim::Figure>(who.solver(), mesh, std::vector{blue, blue, red, red}), phone);
        const auto picture = film.shoot(rest, 0);
        const auto at = [&](const Vec3& p) {
            const Vec2 px = film.camera().project(p);
            const auto k = (static_cast<std::size_t>(px.y()) * 320 + static_cast<std::size_t>(px.x())) * 3;
            return std::array<int, 3>{picture.rgb[k], picture.rgb[k + 1], picture.rgb[k + 2]};
        };
        const auto up = at(chest + Vec3(0, 0.15, 0.2)), down = at(chest + Vec3(0, -0.15, 0.2));
        QVERIFY(up[0] > 3 * up[2] && up[1] < 20 && down[2] > 3 * down[0]);
    }

    void one_body_filmed_from_two_sides_is_made_once_and_gives_the_same_pictures() {
        const sim::Student who(test::movement("brush_and_push"), {});
        const auto figure = sim::dressed(who.solver(), sim::Looks::reference());
        sim::PhoneOptions phone;
        phone.width = 320, phone.height = 400, phone.paper = true, phone.noise = 0;
        const Pose pose = who.pose(2);
        for (const double turn : {0.0, 70.0, 200.0}) {
            phone.turn_deg = turn;
            const auto a = sim::Film(figure, phone).shoot(pose, 0),
                       b = sim::Film(who.solver(), sim::Looks::reference(), phone).shoot(pose, 0);
            QVERIFY(a.rgb == b.rgb);
            // What is copied where nothing moves is what would have been computed: noise too small to see changes nothing.
            phone.noise = 1e-9;
            const auto c = sim::Film(figure, phone).shoot(pose, 0);
            phone.noise = 0;
            int most = 0;
            for (std::size_t i = 0; i < a.rgb.size(); ++i) most = std::max(most, std::abs(a.rgb[i] - c.rgb[i]));
            QVERIFY(most <= 1);
        }
    }

    void random_numbers_are_even_and_their_own() {
        Rng a(7), b(7), c(8);
        double mean = 0, square = 0;
        bool differ = false;
        for (int i = 0; i < 20000; ++i) {
            const double x = a.gauss();
            QCOMPARE(b.gauss(), x);
            differ = differ || c.gauss() != x;
            mean += x / 20000;
            square += x * x / 20000;
        }
        QVERIFY(differ);
        QVERIFY(std::abs(mean) < 0.03 && std::abs(square - 1) < 0.05);
    }
    void the_score_has_no_jumps_and_ends_where_it_began() {
        for (const auto& m : load_movements(test::data_dir())) {
            const Score score(m, ScoreOptions{});
            double last_weight = score.at(0).weight_left, last_depth = score.at(0).depth;
            for (double t = 0.01; t < score.duration(); t += 0.01) {
                const auto c = score.at(t);
                QVERIFY2(std::abs(c.weight_left - last_weight) < 0.02 && std::abs(c.depth - last_depth) < 0.006, m.id.c_str());
                last_weight = c.weight_left;
                last_depth = c.depth;
            }
            QVERIFY(std::abs(score.at(score.duration()).weight_left - score.at(0).weight_left) < 1e-9);
            QVERIFY(std::abs(score.at(score.duration()).depth - score.at(0).depth) < 1e-9);
        }
    }
    void the_solver_puts_the_weight_where_it_is_asked_for() {
        // A body held still: its centre hangs over the line between the foot centres, at the asked share.
        const auto m = test::movement("part_the_horses_mane");
        const Solver solver(BodyDims::of_stature(1.68), m.quiet());
        for (const auto& ph : m.phases) {
            const Pose pose = solver.solve(channels_of(ph.posture));
            const Vec3 l = foot_centre(pose.points, Side::left), r = foot_centre(pose.points, Side::right);
            const Vec3 c = body_centre(pose.points, SegmentTable::of(Sex::mean));
            Vec3 line = l - r, rel = c - r;
            line.y() = rel.y() = 0;
            if (ph.posture.left_foot.contact == Contact::off) continue;
            QVERIFY2(std::abs(rel.dot(line) / line.squaredNorm() - ph.posture.weight_left) < 0.06, ph.id.c_str());
        }
    }
    void size_scales_with_the_student() {
        const auto m = test::movement("gaze_at_the_moon");
        const Solver small(BodyDims::of_stature(1.5), m.quiet()), large(BodyDims::of_stature(1.8), m.quiet());
        const Pose a = small.solve(channels_of(m.home)), b = large.solve(channels_of(m.home));
        for (std::size_t i = 0; i < point_count; ++i) QVERIFY((b.points[i] - 1.2 * a.points[i]).norm() < 0.01);
    }
    void contact_is_told_from_heights_alone() {
        QCOMPARE(sim::contact_from_heights(0, 0), Contact::flat);
        QCOMPARE(sim::contact_from_heights(0, 0.05), Contact::heel);
        QCOMPARE(sim::contact_from_heights(0.05, 0), Contact::toe);
        QCOMPARE(sim::contact_from_heights(0.05, 0.05), Contact::off);
    }
    void odd_bodies_keep_their_bones_and_stand_as_they_are_asked() {
        auto o = sim::take_of(61, 1.6);
        o.student.legs = 1.06;
        o.student.hips = 1.25;
        o.student.neck = 1.1;
        o.student.score.repetitions = 1;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto& d = take.student().dims();
        QVERIFY(std::abs(d.hip_width / d.stature - 0.125) < 0.012);
        const double ear = d.ankle_height + d.shank + d.thigh + d.trunk + d.neck_to_ear;
        QVERIFY(std::abs((ear - d.ankle_height) / d.stature - 0.887) > 0.005); // leaves the usual share
        double shortest = 9, longest = 0;
        for (std::size_t f = 0; f < take.frames(); f += 7) {
            const auto& b = take.truth().points[f];
            for (const Side s : {Side::left, Side::right}) {
                const double thigh = (b[static_cast<std::size_t>(on(s, left_hip))] - b[static_cast<std::size_t>(on(s, left_knee))]).norm();
                shortest = std::min(shortest, thigh);
                longest = std::max(longest, thigh);
            }
        }
        QVERIFY(longest - shortest < 1e-4);
        // A slack stand: knees bent or past straight, leaning, head ahead.
        for (const double knee : {-3.0, 2.0, 12.0}) {
            auto q = sim::take_of(62, 1.7);
            q.student.stand_knee = knee;
            q.student.stand_lean = 4;
            q.student.stand_head = 0.05;
            q.student.toe_out = 15;
            q.student.sway = 0;
            q.to_s = 1.2;
            const sim::Take stand(test::movement("separate_the_clouds"), q);
            const auto& b = stand.truth().points[10];
            const double bend = joint_bend(b[left_hip], b[left_knee], b[left_ankle]);
            QVERIFY2(std::abs(bend - std::abs(knee)) < 4, qPrintable(QStringLiteral("%1 for %2").arg(bend).arg(knee)));
            const Vec3 trunk = mid(b, left_shoulder) - mid(b, left_hip);
            QVERIFY(std::abs(std::atan2(trunk.z(), trunk.y()) * 57.29578 - 4) < 0.5);
        }
    }
    void a_turn_on_the_spot_is_part_of_the_truth() {
        auto o = sim::take_of(63, 1.7);
        o.student.turn_deg = -40;
        o.student.score.repetitions = 1;
        const sim::Take take(test::movement("separate_the_clouds"), o);
        QCOMPARE(take.truth().facing.front(), 0.0);
        QVERIFY(std::abs(take.truth().facing.back() * 57.29578 + 40) < 1e-6);
        const auto &a = take.truth().points.front(), &b = take.truth().points.back();
        const Vec3 before = a[left_hip] - a[right_hip], after = b[left_hip] - b[right_hip];
        QVERIFY(std::abs(std::atan2(-after.z(), after.x()) - std::atan2(-before.z(), before.x()) + 40 / 57.29578) < 0.02);
        QVERIFY(std::abs(before.norm() - after.norm()) < 1e-9);
    }
    void frames_may_be_late_or_missing_but_keep_their_order() {
        auto o = sim::take_of(64, 1.7);
        o.phone.fps = 30;
        o.rate_jitter = 0.6;
        o.dropped = 0.15;
        o.to_s = 10;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        QVERIFY(take.frames() > 220 && take.frames() < 290);
        for (std::size_t i = 1; i < take.frames(); ++i) QVERIFY(take.truth().time_s[i] > take.truth().time_s[i - 1]);
    }
    void cameras_may_stand_and_look_anywhere() {
        sim::PhoneOptions p;
        p.view = View::front;
        p.turn_deg = 30;
        p.beside_m = 0.8;
        const auto c = sim::Camera::of(p);
        const Vec2 hip = c.project(Vec3(0, 0.9, 0));
        QVERIFY(hip.x() > c.cx + 100); // the student stands to the right of the middle
        QVERIFY(c.at.x() > 1.0);       // the camera further round to their left
        p.distortion = 0.04;
        const auto bent = sim::Camera::of(p);
        const Vec2 far = bent.project(Vec3(-1.2, 0.2, 0)), plain = c.project(Vec3(-1.2, 0.2, 0));
        QVERIFY((far - Vec2(c.cx, c.cy)).norm() > (plain - Vec2(c.cx, c.cy)).norm());
    }
    void a_fault_has_the_size_it_is_given() {
        auto measured = [](const char* id, const char* fault, const char* key, double from, double to) {
            auto o = sim::take_of(31, 1.7);
            o.student.score.repetitions = 1;
            o.student.sway = 0;
            if (*fault != 0) o.student.faults.push_back(*sim::parse_fault(fault));
            const sim::Take take(test::movement(id), o);
            MotionOptions mo;
            mo.view = View::three_d;
            mo.stature_m = 1.7;
            const auto motion = make_motion(test::room_track(take), mo);
            const Measures ms = measure(*motion);
            double sum = 0;
            int n = 0;
            for (std::size_t i = 0; i < take.frames(); ++i)
                if (const auto& s = ms.series.at(key).samples[i];
                    take.truth().time_s[i] > from && take.truth().time_s[i] < to && s.present())
                    sum += s.value, ++n;
            return sum / n;
        };
        auto grows = [&](const char* id, const char* fault, const char* key, double from, double to) {
            return measured(id, fault, key, from, to) - measured(id, "", key, from, to);
        };
        QVERIFY(std::abs(grows("separate_the_clouds", "lean_forward=12", "trunk.lean", 5, 9) - 12) < 0.8);
        QVERIFY(std::abs(grows("separate_the_clouds", "lean_side.left=9", "trunk.side", 5, 9) - 9) < 0.8);
        QVERIFY(std::abs(grows("separate_the_clouds", "lean_side.right=9", "trunk.side", 5, 9) + 9) < 0.8);
        QVERIFY(std::abs(grows("separate_the_clouds", "head_forward=7", "head.offset", 5, 9) - 7) < 0.8);
        QVERIFY(std::abs(grows("gaze_at_the_moon", "shift_incomplete=0.2", "weight.left", 6.2, 7.4) + 0.2) < 0.03);
        QVERIFY(std::abs(grows("part_the_horses_mane", "knee_past_toe=6", "knee.ahead.left", 10.9, 11.1) - 6) < 1.5);
    }
    void a_fault_that_a_movement_cannot_show_is_refused_by_name_data() {
        QTest::addColumn<QString>("movement");
        QTest::addColumn<QString>("fault");
        QTest::addColumn<bool>("shown");
        auto row = [](const char* m, const char* f, bool shown) {
            QTest::addRow("%s, %s", m, f) << QString::fromLatin1(m) << QString::fromLatin1(f) << shown;
        };
        row("draw_the_bow", "knee_locked=9", false); // the knees are bent deeper than that all the way
        row("part_the_horses_mane", "knee_past_toe=12", true);
        row("separate_the_clouds", "knee_past_toe=12", false); // nobody shifts in it
        row("separate_the_clouds", "halting_shift=1.5", false);
        row("gaze_at_the_moon", "halting_shift=1.5", true); // the same postures, later
        row("gaze_at_the_moon", "hurried_shift=0.5", true);
        row("quiet_stand", "hips_turn_foot_off=30", false);
        row("quiet_stand", "lean_forward=12", true);
        row("quiet_stand", "lean_forward=0", false);
    }
    void a_fault_that_a_movement_cannot_show_is_refused_by_name() {
        QFETCH(QString, movement);
        QFETCH(QString, fault);
        QFETCH(bool, shown);
        const auto spec = sim::parse_fault(fault.toStdString());
        QVERIFY(spec.has_value());
        const auto r = sim::shows(test::movement(movement.toStdString()), sim::take_of(3, 1.7).student, *spec);
        QCOMPARE(r.has_value(), shown);
        if (!shown)
            QCOMPARE(QString::fromStdString(r.error().context),
                     fault.section(QLatin1Char('='), 0, 0) + QStringLiteral(": changes nothing in ") + movement);
    }
    void sizes_are_read_with_a_point_in_any_language() {
        const std::string was = std::setlocale(LC_NUMERIC, nullptr);
        const bool german = std::setlocale(LC_NUMERIC, "de_DE.UTF-8") != nullptr; // where it is installed
        QCOMPARE(sim::parse_fault("stance_narrow=0.5")->size, 0.5);
        QVERIFY(!sim::parse_fault("stance_narrow=0,5"));
        for (const char* bad : {"stance_narrow=", "stance_narrow=x", "stance_narrow=0.5x", "stance_narrow=nan", "stance_narrow=inf",
                                "stance_narrow=-1", "stance_narrow= 0.5"})
            QVERIFY2(!sim::parse_fault(bad), bad);
        if (german) std::setlocale(LC_NUMERIC, was.c_str());
    }
};
QTEST_GUILESS_MAIN(TestSim)
#include "test_sim.moc"
