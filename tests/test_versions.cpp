#include "support/synthetic.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QTest>

using namespace bevel;

/// Graded versions: the figure is looked at from outside, by where its points are, not by what was asked of it.
class TestVersions : public QObject {
    Q_OBJECT
    struct Way {
        std::vector<Body3> points; // thirty a second
        std::vector<int> phase;    // -1 outside of repetitions
        std::vector<Side> lead;
        BodyDims dims;
    };
    static Way way_of(const Movement& m, double stature) {
        sim::StudentOptions o;
        o.stature_m = stature;
        o.score.repetitions = 1;
        o.sway = 0;
        o.proportion_spread = o.mass_spread = o.tempo_spread = o.size_spread = 0;
        const sim::Student s(m, o);
        Way w;
        w.dims = s.dims();
        for (double t = 0; t < s.duration(); t += 1.0 / 30) {
            const auto& key = s.score().keys()[s.score().stretch_at(s.score_time(t))];
            w.points.push_back(s.pose(t).points);
            w.phase.push_back(key.phase);
            w.lead.push_back(key.side);
        }
        return w;
    }
    static Vec3 at(const Body3& b, Side s, Point p) { return b[static_cast<std::size_t>(on(s, p))]; }
    static double lowest_hips(const Way& w) {
        double low = 1e9;
        for (std::size_t i = 0; i < w.points.size(); ++i)
            if (w.phase[i] >= 0) low = std::min(low, mid(w.points[i], left_hip).y());
        return low;
    }
    static double highest_hips(const Way& w) {
        double high = 0;
        for (std::size_t i = 0; i < w.points.size(); ++i)
            if (w.phase[i] >= 0) high = std::max(high, mid(w.points[i], left_hip).y());
        return high;
    }
    static double slope(const Body3& b) { // of the trunk from upright, degrees
        const Vec3 up = mid(b, left_shoulder) - mid(b, left_hip);
        return std::acos(std::clamp(up.normalized().y(), -1.0, 1.0)) * 57.29578;
    }
    static double turn(const Body3& b) { // of the shoulders, degrees to own left
        const Vec3 across = at(b, Side::left, left_shoulder) - at(b, Side::right, left_shoulder);
        return std::atan2(-across.z(), across.x()) * 57.29578;
    }
    template <class F> static double most(const Way& w, F of) {
        double m = 0;
        for (std::size_t i = 0; i < w.points.size(); ++i)
            if (w.phase[i] >= 0) m = std::max(m, of(w.points[i]));
        return m;
    }
    static const Version* version(const Movement& m, const char* name) {
        for (const auto& v : m.versions)
            if (v.name == name) return &v;
        return nullptr;
    }

private slots:
    void each_is_a_movement_that_bodies_can_do() {
        int made = 0;
        for (const auto& m : load_movements(test::data_dir()))
            for (const auto& v : m.versions) {
                if (!v.change) continue;
                const auto x = make_version(m, v);
                const QString name = QString::fromStdString(m.id + " / " + v.name);
                QVERIFY2(x.has_value(), qPrintable(name + (x ? "" : QString::fromStdString(": " + x.error().context))));
                QCOMPARE(x->id, m.id);
                QCOMPARE(x->version, v.name);
                ++made;
                for (const double stature : {1.45, 1.85}) {
                    const Way w = way_of(*x, stature);
                    for (std::size_t i = 0; i < w.points.size(); ++i) {
                        const Body3& b = w.points[i];
                        for (const auto& p : b) QVERIFY2(p.allFinite() && p.y() > -1e-6, qPrintable(name));
                        for (const Side s : {Side::left, Side::right}) {
                            QVERIFY2(std::abs((at(b, s, left_hip) - at(b, s, left_knee)).norm() - w.dims.thigh) < 0.001, qPrintable(name));
                            QVERIFY2(std::abs((at(b, s, left_elbow) - at(b, s, left_wrist)).norm() - w.dims.forearm) < 0.001,
                                     qPrintable(name));
                            QVERIFY2(joint_bend(at(b, s, left_hip), at(b, s, left_knee), at(b, s, left_ankle)) < 130, qPrintable(name));
                            if (i == 0) continue;
                            for (const Point p : {left_wrist, left_knee, left_toe, left_shoulder})
                                QVERIFY2((at(b, s, p) - at(w.points[i - 1], s, p)).norm() * 30 < 2.2, qPrintable(name));
                        }
                    }
                }
            }
        QVERIFY2(made >= 65, qPrintable(QString::number(made)));
    }
    void each_does_what_its_words_say() {
        for (const auto& m : load_movements(test::data_dir()))
            for (const auto& v : m.versions) {
                if (!v.change) continue;
                const QString name = QString::fromStdString(m.id + " / " + v.name);
                const Way w = way_of(m.as(v.name), 1.7), whole = way_of(m, 1.7);
                if (v.name == "Arms only") { // both feet stay where they are, soles down
                    for (const Body3& b : w.points)
                        for (const Side s : {Side::left, Side::right}) {
                            QVERIFY2((at(b, s, left_ankle) - at(w.points.front(), s, left_ankle)).norm() < 0.003, qPrintable(name));
                            QVERIFY2(at(b, s, left_heel).y() < 0.002 && at(b, s, left_toe).y() < 0.002, qPrintable(name));
                        }
                    // The hands still go.
                    QVERIFY2(most(w,
                                  [&](const Body3& b) {
                                      return (at(b, Side::left, left_wrist) - at(w.points.front(), Side::left, left_wrist)).norm();
                                  }) > 0.15,
                             qPrintable(name));
                }
                if (v.name == "Seated")
                    for (std::size_t i = 0; i < w.points.size(); ++i) {
                        const double over = mid(w.points[i], left_hip).y() - (w.dims.ankle_height + w.dims.shank);
                        QVERIFY2(over > 0 && over < 0.06, qPrintable(name + QString::number(over)));
                    }
                if (v.name == "To the brow")
                    QVERIFY2(most(w,
                                  [](const Body3& b) {
                                      return std::max(at(b, Side::left, left_wrist).y(), at(b, Side::right, left_wrist).y()) -
                                             mid(b, left_eye).y();
                                  }) < 0.09,
                             qPrintable(name));
                if (v.name == "Step added")
                    QVERIFY2(most(w,
                                  [](const Body3& b) {
                                      return std::max((at(b, Side::left, left_wrist) - at(b, Side::left, left_hip)).norm(),
                                                      (at(b, Side::right, left_wrist) - at(b, Side::right, left_hip)).norm());
                                  }) < 0.30,
                             qPrintable(name));
                if (v.name == "Small" || v.name == "A hand's width") {
                    const double sunk = highest_hips(w) - lowest_hips(w), sinks = highest_hips(whole) - lowest_hips(whole);
                    if (sinks > 0.05) QVERIFY2(sunk < 0.85 * sinks, qPrintable(QString("%1 %2 of %3").arg(name).arg(sunk).arg(sinks)));
                    const double bent = most(w, slope), bends = most(whole, slope);
                    if (bends > 15) QVERIFY2(bent < 0.75 * bends, qPrintable(QString("%1 %2 of %3").arg(name).arg(bent).arg(bends)));
                    const auto turns = [](const Body3& b) { return std::abs(turn(b)); };
                    if (most(whole, turns) > 15) QVERIFY2(most(w, turns) < 0.75 * most(whole, turns), qPrintable(name));
                }
                if (v.name == "Short step") {
                    const auto apart = [](const Body3& b) {
                        return std::abs(at(b, Side::left, left_ankle).z() - at(b, Side::right, left_ankle).z());
                    };
                    QVERIFY2(most(w, apart) < 0.65 * most(whole, apart) && most(w, apart) > 0.3 * most(whole, apart), qPrintable(name));
                }
                if (v.name == "Toe stays down")
                    for (const Body3& b : w.points)
                        for (const Side s : {Side::left, Side::right}) QVERIFY2(at(b, s, left_toe).y() < 0.01, qPrintable(name));
                if (v.name == "Foot stays down") {
                    for (const Body3& b : w.points)
                        for (const Side s : {Side::left, Side::right}) QVERIFY2(at(b, s, left_heel).y() < 0.012, qPrintable(name));
                    QVERIFY(most(w, [&](const Body3& b) {
                                return (at(b, Side::left, left_ankle) - at(w.points.front(), Side::left, left_ankle)).norm();
                            }) > 0.15);
                }
                if (v.name == "High stance") QVERIFY2(lowest_hips(w) > lowest_hips(whole) + 0.02, qPrintable(name));
            }
    }
    void who_does_the_easier_way_well_hears_nothing() {
        for (const auto& m : load_movements(test::data_dir()))
            for (const auto& v : m.versions) {
                if (!v.change) continue;
                auto o = sim::take_of(7, 1.62);
                o.student.score.repetitions = 2;
                const Movement& x = m.as(v.name);
                ReviewOptions ro;
                ro.view = View::three_d;
                ro.stature_m = 1.62;
                const auto r = make_review(test::room_track(sim::Take(x, o)), x, ro);
                const QString name = QString::fromStdString(m.id + " / " + v.name);
                QVERIFY2(r.has_value(), qPrintable(name));
                QVERIFY2((*r)->alignment.repetitions.size() == (x.symmetric() ? 2U : 4U) || x.symmetric(), qPrintable(name));
                for (const auto& f : (*r)->findings)
                    QVERIFY2(f.verdict != Verdict::outside,
                             qPrintable(QString("%1: %2 %3").arg(name, QString::fromStdString(f.check)).arg(f.value)));
            }
    }
    void the_easier_way_is_not_the_whole() {
        // Standing, with the arms alone: held against the whole movement there is no step in it; held against its own version it is right.
        const auto m = test::movement("brush_and_push");
        auto o = sim::take_of(3, 1.7);
        o.student.score.repetitions = 2;
        const auto track = test::room_track(sim::Take(m.as("Arms only"), o));
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = 1.7;
        const auto whole = make_review(track, m, ro);
        if (whole) {
            const auto* length = test::find(**whole, "bow_length");
            QVERIFY(length && length->verdict == Verdict::outside && length->direction == Direction::low);
        }
        const auto easier = make_review(track, m.as("Arms only"), ro);
        QVERIFY(easier && !test::find(**easier, "bow_length"));
        // And who leaves the way of the hands out of it is told so in both.
        o.student.faults.push_back({sim::Fault::lean_forward, 20, std::nullopt});
        const auto leaning = make_review(test::room_track(sim::Take(m.as("Arms only"), o)), m.as("Arms only"), ro);
        QVERIFY(leaning.has_value());
        const auto* lean = test::find(**leaning, "trunk_lean");
        QVERIFY(lean && lean->verdict == Verdict::outside && lean->direction == Direction::high);
    }
    void who_sits_is_judged_from_every_side() {
        // Towards the camera the thighs are hidden; the height over the floor has to be told all the same.
        for (const char* id : {"seated_rise_and_sink", "draw_the_bow", "one_up_one_down"})
            for (const View view : {View::front, View::left, View::right})
                for (const double stature : {1.5, 1.8}) {
                    const Movement whole = test::movement(id);
                    const Movement& m = whole.as("Seated");
                    auto o = sim::take_of(5, stature);
                    o.phone.view = view;
                    o.student.score.repetitions = 2;
                    ReviewOptions ro;
                    ro.view = view;
                    ro.stature_m = stature;
                    const QString where = QString("%1 %2 %3").arg(QLatin1String(id), QLatin1String(view_name(view).data())).arg(stature);
                    const auto r = make_review(test::pixel_track(sim::Take(m, o), 1.5, 3), m, ro);
                    QVERIFY2(r.has_value(), qPrintable(where));
                    QCOMPARE((*r)->alignment.repetitions.size(), std::size_t{4});
                    int told = 0;
                    for (const auto& f : (*r)->findings) {
                        QVERIFY2(f.verdict != Verdict::outside, qPrintable(where + QString::fromStdString(" " + f.check)));
                        told += f.verdict == Verdict::inside ? 1 : 0;
                    }
                    QVERIFY2(told >= 8, qPrintable(where + QString::number(told)));
                    if (view != View::front) continue;
                    o.student.faults.push_back({sim::Fault::lean_side, 15, std::nullopt});
                    const auto leaning = make_review(test::pixel_track(sim::Take(m, o), 1.5, 3), m, ro);
                    QVERIFY2(leaning.has_value(), qPrintable(where));
                    const auto* side = test::find(**leaning, "trunk_side");
                    QVERIFY2(side && side->verdict == Verdict::outside && side->direction == Direction::high, qPrintable(where));
                }
        // Who stands does not do the seated movement.
        const auto seated = test::movement("seated_rise_and_sink"), standing = test::movement("opening_rise_and_sink");
        auto o = sim::take_of(5, 1.7);
        o.phone.view = View::left;
        ReviewOptions ro;
        ro.view = View::left;
        ro.stature_m = 1.7;
        const auto r = make_review(test::pixel_track(sim::Take(standing, o), 1.5, 3), seated, ro);
        QVERIFY(!r && r.error().context == "no_repetition");
    }
    void words_alone_change_nothing_and_a_name_that_is_not_there_neither() {
        const auto m = test::movement("walk_forward");
        QVERIFY(version(m, "Along a wall") && !version(m, "Along a wall")->change);
        QVERIFY(m.as("Along a wall").version.empty());
        QVERIFY(m.as("Flying").version.empty());
        QCOMPARE(make_version(m, *version(m, "Along a wall")).error().code, Code::not_found);
        // A school's way of a movement is no part of its easier way: it is put on what comes out.
        Movement bent = m;
        BandChange c;
        c.measure = "trunk.lean";
        c.high = 40;
        c.reason = "for the test";
        apply(bent, {c});
        const auto plain = make_version(m, *version(m, "Short step")), from_bent = make_version(bent, *version(m, "Short step"));
        QVERIFY(plain && from_bent && same_but_for_bands(*plain, *from_bent));
        for (std::size_t i = 0; i < plain->checks.size(); ++i) QVERIFY(plain->checks[i].high == from_bent->checks[i].high);
    }
    void what_is_read_is_what_was_written() {
        auto j = nlohmann::json::parse(*read_text(test::data_dir() / "movements/walk_forward.json", 1 << 20));
        const auto m = test::movement("walk_forward");
        for (std::size_t i = 0; i < m.versions.size(); ++i) QCOMPARE(version_json(m.versions[i]), j["versions"][i]);
        const auto refused = [&](const nlohmann::json& figure) {
            auto bad = j;
            bad["versions"] = nlohmann::json::array({{{"name", "Odd"}, {"about", "Odd."}, {"figure", figure}}});
            const auto r = parse_movement(bad.dump());
            return !r && r.error().context.find("version Odd") != std::string::npos;
        };
        using nlohmann::json;
        for (const json& figure :
             {json::object(), json{{"feet", "flying"}}, json{{"feet", 3}}, json{{"range", 0}}, json{{"range", "half"}}, json{{"step", 1.5}},
              json{{"hands", "sky"}}, json{{"chair", "yes"}}, json{{"wings", true}}, json("small")})
            QVERIFY2(refused(figure), figure.dump().c_str());
    }
};

QTEST_APPLESS_MAIN(TestVersions)
#include "test_versions.moc"
