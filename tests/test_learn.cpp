// A movement that nobody described: told from clips that show it, and good enough to judge by.
#include "core/learn/learn.h"
#include "support/synthetic.h"
#include <cmath>
#include <deque>
#include <QTest>

using namespace bevel;

namespace {

/// Known to this test alone. Standing: shift, turn, one hand up and one down, back. Stepping: a bow with the hand ahead.
const char* standing = R"({
  "id": "lamp", "name": "Lift the Lamp", "kind": "qigong", "about": "", "best_views": ["front"], "driver": "weight.left", "stance": "shoulder",
  "home": {"left_foot": {"x": 0.52, "z": 0, "toe_out": 5}, "right_foot": {"x": -0.52, "z": 0, "toe_out": 5}, "left_hand": {"level": "belly", "x": 0.5, "y": 0.1, "z": 0.6, "elbow_out": 40}, "right_hand": {"level": "belly", "x": -0.5, "y": 0.1, "z": 0.6, "elbow_out": 40}, "weight_left": 0.5, "depth": 0.95},
  "phases": [
    {"id": "a", "role": "sink", "name": "a", "duration_s": 1.8, "breath": "free", "posture": {"depth": 0.88}},
    {"id": "b", "role": "transfer", "name": "b", "duration_s": 2.2, "breath": "free", "easing": "settle", "posture": {"weight_left": 0.72, "pelvis_turn": 14, "shoulder_turn": 22, "left_hand": {"level": "brow", "x": 0.45, "y": 0.15, "z": 0.7, "elbow_out": 55}, "right_hand": {"level": "belly", "x": -0.6, "y": 0.2, "z": 0.5, "elbow_out": 40}}},
    {"id": "c", "role": "settle", "name": "c", "duration_s": 1.0, "breath": "free", "easing": "settle", "posture": {}},
    {"id": "d", "role": "return", "name": "d", "duration_s": 2.4, "breath": "free", "easing": "settle", "posture": {"weight_left": 0.5, "depth": 0.95, "pelvis_turn": 0, "shoulder_turn": 0, "left_hand": {"level": "belly", "x": 0.5, "y": 0.1, "z": 0.6, "elbow_out": 40}, "right_hand": {"level": "belly", "x": -0.5, "y": 0.1, "z": 0.6, "elbow_out": 40}}}
  ]})";
const char* stepping = R"({
  "id": "gate", "name": "Open the Gate", "kind": "tai chi", "about": "", "best_views": ["left"], "driver": "stance.length", "stance": "narrow",
  "home": {"left_foot": {"x": 0.25, "z": 0, "toe_out": 25}, "right_foot": {"x": -0.25, "z": 0, "toe_out": 25}, "left_hand": {"level": "belly", "x": 0.5, "y": 0.1, "z": 0.5, "elbow_out": 40}, "right_hand": {"level": "belly", "x": -0.5, "y": 0.1, "z": 0.5, "elbow_out": 40}, "weight_left": 0.5, "depth": 0.93},
  "phases": [
    {"id": "a", "role": "gather", "name": "a", "duration_s": 2, "breath": "free", "ends_at": "shift_end", "posture": {"weight_left": 0.03, "depth": 0.89}},
    {"id": "b", "role": "lift", "name": "b", "duration_s": 1.1, "breath": "free", "posture": {"weight_left": 0.02, "depth": 0.86, "left_foot": {"x": 0.26, "z": 0.5, "toe_out": 12, "contact": "off"}}},
    {"id": "c", "role": "reach", "name": "c", "duration_s": 1.1, "breath": "free", "ends_at": "foot_down", "posture": {"weight_left": 0.03, "depth": 0.83, "left_foot": {"x": 0.3, "z": 1.25, "toe_out": 5, "contact": "heel"}}},
    {"id": "d", "role": "land", "name": "d", "duration_s": 0.7, "breath": "free", "ends_at": "foot_flat", "posture": {"weight_left": 0.04, "left_foot": {"contact": "flat"}}},
    {"id": "e", "role": "transfer", "stance": "bow", "name": "e", "duration_s": 2.4, "breath": "free", "easing": "settle", "ends_at": "shift_end", "posture": {"weight_left": 0.7, "depth": 0.85, "left_hand": {"level": "heart", "x": 0.3, "y": 0, "z": 1.1, "elbow_out": 45}, "right_hand": {"level": "heart", "x": -0.5, "y": 0.3, "z": 0.9, "elbow_out": 60}}},
    {"id": "f", "role": "return", "name": "f", "duration_s": 2.2, "breath": "free", "posture": {"weight_left": 0.04, "depth": 0.83}},
    {"id": "g", "role": "lift", "name": "g", "duration_s": 1.1, "breath": "free", "posture": {"weight_left": 0.02, "depth": 0.86, "left_foot": {"x": 0.26, "z": 0.5, "toe_out": 15, "contact": "off"}}},
    {"id": "h", "role": "close", "name": "h", "duration_s": 1.1, "breath": "free", "ends_at": "foot_flat", "posture": {"weight_left": 0.04, "depth": 0.89, "left_foot": {"x": 0.25, "z": 0, "toe_out": 25, "contact": "flat"}, "left_hand": {"level": "belly", "x": 0.5, "y": 0.1, "z": 0.5, "elbow_out": 40}, "right_hand": {"level": "belly", "x": -0.5, "y": 0.1, "z": 0.5, "elbow_out": 40}}},
    {"id": "i", "role": "close", "name": "i", "duration_s": 1.6, "breath": "free", "easing": "settle", "posture": {"weight_left": 0.5, "depth": 0.93}}
  ]})";

struct Clip {
    Motion motion;
    Measures measures;
    sim::Truth truth;
};

Movement invented(const char* text) {
    auto m = parse_movement(text);
    if (!m) qFatal("%s", m.error().context.c_str());
    return *m;
}

sim::TakeOptions body(std::uint64_t seed, double stature, View view, const char* fault) {
    auto o = sim::take_of(seed, stature);
    o.student.score.repetitions = 2;
    o.phone.view = view;
    o.phone.fps = 25;
    if (*fault) o.student.faults.push_back(*sim::parse_fault(fault));
    return o;
}

Track track_of(const sim::Take& take, View view, std::uint64_t seed) {
    return view == View::three_d ? test::room_track(take) : test::pixel_track(take, 1.2, seed);
}

} // namespace

class TestLearn : public QObject {
    Q_OBJECT
    std::deque<Clip> clips_;
    const Clip& clip(const Movement& m, const sim::TakeOptions& o, View view) {
        const sim::Take take(m, o);
        MotionOptions mo;
        mo.view = view;
        mo.stature_m = o.student.stature_m;
        auto motion = make_motion(track_of(take, view, o.student.seed), mo);
        if (!motion) qFatal("%s", motion.error().context.c_str());
        Measures ms = measure(*motion);
        clips_.push_back({std::move(*motion), std::move(ms), take.truth()});
        return clips_.back();
    }
    std::vector<Showing> shown_by(const Movement& m, const std::vector<std::pair<unsigned, double>>& takes, View v,
                                  const char* fault = "") {
        std::vector<Showing> out;
        for (const auto& [seed, height] : takes) {
            auto o = body(seed, height, v, fault);
            const Clip& c = clip(m, o, v);
            out.push_back({"take " + std::to_string(seed), &c.motion, &c.measures});
        }
        return out;
    }
    /// A repetition laid out by the truth.
    static Layout laid_as(const sim::Truth& truth, const Movement& m, int repetition, std::size_t showing = 0) {
        Layout l;
        l.showing = showing;
        for (const auto& p : truth.phases) {
            if (p.repetition != repetition) continue;
            const auto& ph = *std::find_if(m.phases.begin(), m.phases.end(), [&](const Phase& x) { return x.id == p.id; });
            if (l.phases.empty()) l.from_s = p.start_s, l.lead = p.side;
            l.phases.push_back({ph.name, ph.role, ph.stance, ph.ends_at, p.end_s});
        }
        return l;
    }

private slots:
    void a_movement_is_learned_and_judged_by_data() {
        QTest::addColumn<QString>("text");
        QTest::addColumn<int>("view");
        QTest::addColumn<QString>("fault");
        QTest::addColumn<QString>("rule");
        QTest::addColumn<int>("direction");
        const auto row = [](const char* name, const char* text, View v, const char* fault, const char* rule, Direction d) {
            QTest::newRow(name) << QString::fromLatin1(text) << static_cast<int>(v) << QString::fromLatin1(fault)
                                << QString::fromLatin1(rule) << static_cast<int>(d);
        };
        row("standing, points in metres: leans", standing, View::three_d, "lean_forward=14", "S1", Direction::high);
        row("standing, points in metres: knee in", standing, View::three_d, "knee_in=16", "K1", Direction::high);
        row("standing, from the front: feet too narrow", standing, View::front, "stance_narrow=0.5", "F1", Direction::low);
        row("standing, from the left: leans", standing, View::left, "lean_forward=14", "S1", Direction::high);
        row("stepping, points in metres: weight comes early", stepping, View::three_d, "early_weight=1.2", "W2", Direction::low);
        row("stepping, from the left: leans", stepping, View::left, "lean_forward=15", "S1", Direction::high);
    }
    void a_movement_is_learned_and_judged_by() {
        QFETCH(QString, text);
        QFETCH(int, view);
        QFETCH(QString, fault);
        QFETCH(QString, rule);
        QFETCH(int, direction);
        const Movement hidden = invented(text.toLatin1().constData());
        const View v = static_cast<View>(view);
        const auto showings = shown_by(hidden, {{11, 1.62}, {12, 1.62}, {13, 1.78}}, v); // three takes of two bodies
        const auto stretch = propose_stretch(*showings[0].motion);
        QVERIFY(stretch.has_value());
        const auto layout = propose_layout(*showings[0].motion, *showings[0].measures, stretch->first, stretch->second);
        QVERIFY(layout.has_value());
        const auto learned = learn(showings, *layout, {"shown", "As shown", "qigong", "", {}, nullptr, ""});
        QVERIFY2(learned.has_value(), learned ? "" : learned.error().context.c_str());
        QCOMPARE(learned->repetitions, (std::vector<int>{4, 4, 4}));
        QVERIFY2(learned->misfit_m < 0.025, qPrintable(QString::number(learned->misfit_m)));
        for (const auto& b : learned->bands) QVERIFY2(!b.beyond, qPrintable(QString::fromStdString(b.check + " %1").arg(b.mean)));
        for (const bool faulty : {true, false}) {
            const auto o = body(faulty ? 21 : 22, faulty ? 1.7 : 1.66, v, faulty ? fault.toLatin1().constData() : "");
            ReviewOptions ro;
            ro.view = v;
            ro.stature_m = o.student.stature_m;
            const auto r = make_review(track_of(sim::Take(hidden, o), v, o.student.seed), learned->movement, ro);
            QVERIFY2(r.has_value(), r ? "" : r.error().context.c_str());
            QCOMPARE((*r)->alignment.repetitions.size(), std::size_t{4});
            bool told = false;
            for (const auto& f : (*r)->findings)
                if (f.verdict == Verdict::outside && !f.once) {
                    told = told || (f.rule == rule.toStdString() && static_cast<int>(f.direction) == direction);
                    QVERIFY2(faulty, f.check.c_str());
                }
            QVERIFY(told == faulty);
        }
    }
    void the_stretch_is_one_repetition() {
        // Not from the quiet stand to the quiet stand, whatever was filmed.
        for (const char* text : {standing, stepping})
            for (const View v : {View::three_d, View::front, View::left}) {
                const Clip& c = clip(invented(text), body(31, 1.68, v, ""), v);
                const auto stretch = propose_stretch(c.motion);
                QVERIFY(stretch.has_value());
                const auto near = [&](double t, bool start) {
                    return std::any_of(c.truth.phases.begin(), c.truth.phases.end(), [&](const sim::Truth::Span& p) {
                        const bool border = start ? p.id == "a" : p.id == c.truth.phases.back().id;
                        return border && std::abs((start ? p.start_s : p.end_s) - t) < 0.8;
                    });
                };
                QVERIFY2(near(stretch->first, true) && near(stretch->second, false),
                         qPrintable(QStringLiteral("%1 to %2").arg(stretch->first).arg(stretch->second)));
            }
    }
    void postures_are_as_they_were_shown() {
        const Movement hidden = invented(stepping);
        const auto showings = shown_by(hidden, {{41, 1.7}}, View::three_d);
        const auto layout = laid_as(clips_.back().truth, hidden, 2);
        const auto learned = learn(showings, layout, {"shown", "As shown", "tai chi", "", {}, nullptr, ""});
        QVERIFY2(learned.has_value(), learned ? "" : learned.error().context.c_str());
        const auto& m = learned->movement;
        QCOMPARE(m.phases.size(), hidden.phases.size());
        for (std::size_t p = 0; p < m.phases.size(); ++p) {
            const Posture &a = m.phases[p].posture, &b = hidden.phases[p].posture;
            const auto near = [&](const char* what, double x, double y, double by) {
                QVERIFY2(std::abs(x - y) < by, qPrintable(QStringLiteral("%1 %2: %3, shown %4")
                                                              .arg(QLatin1String(m.phases[p].id.c_str()), QLatin1String(what))
                                                              .arg(x)
                                                              .arg(y)));
            };
            near("weight", a.weight_left, b.weight_left, 0.08);
            near("depth", a.depth, b.depth, 0.03);
            near("lean", a.lean, b.lean, 5);
            near("shoulders", a.shoulder_turn, b.shoulder_turn, 6);
            near("left foot ahead", a.left_foot.z, b.left_foot.z, 0.15);
            near("left foot out", a.left_foot.toe_out, b.left_foot.toe_out, 8);
            QCOMPARE(a.right_foot.contact, Contact::flat);
            QCOMPARE(a.left_foot.contact == Contact::off, b.left_foot.contact == Contact::off);
            near("seconds", m.phases[p].duration_s, hidden.phases[p].duration_s, 0.25 * hidden.phases[p].duration_s);
        }
        QVERIFY(std::find(m.cautions.begin(), m.cautions.end(), "balance") != m.cautions.end()); // a foot is off the floor
        QVERIFY(std::find(m.needs.begin(), m.needs.end(), "heel_first") != m.needs.end());
        // What it was learned from stands in it, and reads back.
        QVERIFY(m.recorded.has_value());
        QCOMPARE(m.recorded->clips, std::vector<std::string>{"take 41"});
        QCOMPARE(m.recorded->repetitions, 4);
        QVERIFY(std::any_of(m.recorded->spread.begin(), m.recorded->spread.end(), [&](const Recorded::Spread& s) {
            return s.phase == m.phases[4].id && s.measure == "weight.left" && std::abs(s.mean - 0.7) < 0.06 && s.n == 2;
        }));
    }
    void two_views_tell_more_than_one() {
        // From the front and from the left: both were shown by the same body.
        const Movement hidden = invented(stepping);
        auto showings = shown_by(hidden, {{51, 1.7}}, View::front);
        const auto side = shown_by(hidden, {{51, 1.7}}, View::left);
        showings.insert(showings.end(), side.begin(), side.end());
        const auto learned =
            learn(showings, laid_as(clips_.back().truth, hidden, 2, 1), {"shown", "As shown", "tai chi", "", {}, nullptr, ""});
        QVERIFY2(learned.has_value(), learned ? "" : learned.error().context.c_str());
        QVERIFY(learned->repetitions[0] == 4 && learned->repetitions[1] == 4);
        const Posture& bow = learned->movement.phases[4].posture;
        QVERIFY2(std::abs(bow.left_foot.z - 1.25) < 0.2, qPrintable(QString::number(bow.left_foot.z))); // from the side
        QVERIFY2(std::abs(bow.left_foot.x - 0.3) < 0.15, qPrintable(QString::number(bow.left_foot.x))); // from the front
    }
    void like_the_nearest_movement_but_deeper() {
        // The instructor's own way of a known movement: lower than the shipped one, which then no longer says so.
        const Movement known = test::movement("part_the_horses_mane");
        Movement own = known;
        apply(own, {[] {
                  BandChange b;
                  b.higher = -0.09;
                  b.reason = "low";
                  return b;
              }()});
        const auto showings = shown_by(own, {{61, 1.65}, {62, 1.74}}, View::three_d);
        const Reference reference(known, showings[0].motion->stature);
        const auto a = align(*showings[0].motion, *showings[0].measures, Form{{{&reference.model(), std::nullopt}}});
        QVERIFY(a.has_value());
        const auto layout = layout_like(known, *a);
        QVERIFY(layout.has_value());
        QCOMPARE(layout->phases.size(), known.phases.size());
        const auto learned = learn(showings, *layout, {"mane_low", "Low mane", known.kind, "", {}, &known, "as I show it"});
        QVERIFY2(learned.has_value(), learned ? "" : learned.error().context.c_str());
        for (std::size_t p = 0; p < known.phases.size(); ++p) {
            QCOMPARE(learned->movement.phases[p].id, known.phases[p].id);
            QVERIFY(learned->movement.phases[p].role == known.phases[p].role);
        }
        const auto o = body(63, 1.7, View::three_d, "");
        const auto track = track_of(sim::Take(own, o), View::three_d, 63);
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = 1.7;
        const auto count = [&](const Movement& m) {
            const auto r = make_review(track, m, ro);
            if (!r) return -1;
            return static_cast<int>(std::count_if((*r)->findings.begin(), (*r)->findings.end(),
                                                  [](const Finding& f) { return f.rule == "H3" && f.verdict == Verdict::outside; }));
        };
        QVERIFY2(count(known) > 0, "the shipped one is higher");
        QCOMPARE(count(learned->movement), 0);
        QVERIFY(std::any_of(learned->movement.checks.begin(), learned->movement.checks.end(),
                            [](const Check& c) { return c.reason == "as I show it"; }));
    }
    void a_safety_band_is_not_widened_by_showing() {
        const auto showings = shown_by(invented(standing), {{71, 1.7}, {72, 1.66}}, View::three_d, "knee_in=16");
        const auto learned =
            learn(showings, laid_as(clips_.back().truth, invented(standing), 0, 1), {"shown", "As shown", "qigong", "", {}, nullptr, ""});
        QVERIFY2(learned.has_value(), learned ? "" : learned.error().context.c_str());
        int beyond = 0;
        for (const auto& b : learned->bands) beyond += b.beyond ? 1 : 0;
        QVERIFY(beyond > 0); // and it is said
        for (const auto& c : learned->movement.checks)
            if (c.id == "knee_in") QVERIFY(c.high && *c.high == 6);
    }
    void what_cannot_be_is_refused() {
        const Movement hidden = invented(stepping);
        const auto showings = shown_by(hidden, {{81, 1.7}}, View::three_d);
        const auto good = laid_as(clips_.back().truth, hidden, 0);
        const auto why = [&](const Layout& l, LearnOptions o = {"shown", "As shown", "tai chi", "", {}, nullptr, ""}) {
            const auto r = learn(showings, l, o);
            return r ? std::string() : r.error().context;
        };
        QCOMPARE(why(good), std::string());
        Layout l = good;
        l.phases.resize(1);
        QCOMPARE(why(l), std::string("layout"));
        l = good;
        std::swap(l.phases[2].end_s, l.phases[3].end_s);
        QCOMPARE(why(l), std::string("layout"));
        l = good;
        l.showing = 7;
        QCOMPARE(why(l), std::string("layout"));
        l = good;
        l.phases.resize(5); // ends in the bow
        QCOMPARE(why(l), std::string("home"));
        QCOMPARE(why(good, {"shown", "", "tai chi", "", {}, nullptr, ""}), std::string("name"));
        QVERIFY(why(good, {"Not An Id", "As shown", "tai chi", "", {}, nullptr, ""}).find("id") != std::string::npos);
        QVERIFY(!learn({}, good, {"shown", "As shown", "tai chi", "", {}, nullptr, ""}).has_value());
        QVERIFY(!propose_layout(*showings[0].motion, *showings[0].measures, 3, 3.5).has_value());
        QVERIFY(!propose_layout(*showings[0].motion, *showings[0].measures, 3, 1e4).has_value());
        Motion still = *showings[0].motion;
        for (auto& b : still.m) b = still.m.front();
        QVERIFY(!propose_stretch(still).has_value());
    }
};
QTEST_GUILESS_MAIN(TestLearn)
#include "test_learn.moc"
