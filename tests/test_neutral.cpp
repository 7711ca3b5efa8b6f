// A person's own neutral and comfortable range: a habit shows, a cured one shows as gone, nobody is held against the clip itself.
#include "core/files.h"
#include "core/measure/own_moment.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/wrong.h"
#include <cmath>
#include <QTest>

using namespace bevel;

namespace {

constexpr std::array head_points{nose, left_eye, right_eye, left_ear, right_ear};

/// One movement done without a fault, in metres or by one camera, with a head that is that far ahead of where it was, all the time.
Track with_head_ahead(const sim::Take& take, double by_m, bool pixels, double noise_px = 0, std::uint64_t seed = 1) {
    Track t = pixels ? test::pixel_track(take, noise_px, seed) : test::room_track(take);
    for (std::size_t f = 0; f < t.frames(); ++f) {
        const double facing = take.truth().facing[f];
        if (!pixels) {
            for (const auto p : head_points) (*t.m[f])[p] += by_m * Vec3(std::sin(facing), 0, std::cos(facing));
            continue;
        }
        // Seen from the side: the picture's own scale, from how tall ear over ankle is in it and in truth.
        auto& px = *t.px[f];
        const Body3& b = take.truth().points[f];
        const double scale = (px[left_ankle].y - px[left_ear].y) / (b[left_ear].y() - b[left_ankle].y());
        const double ahead = px[left_toe].x > px[left_heel].x ? 1 : -1;
        for (const auto p : head_points) px[p].x += ahead * scale * by_m;
    }
    return t;
}

sim::TakeOptions student(std::uint64_t seed, View view, double stature = 1.7) {
    sim::TakeOptions o = sim::take_of(seed, stature);
    o.phone.view = view == View::three_d ? View::front : view;
    o.student.stature_m = stature;
    return o;
}

std::shared_ptr<const Review> reviewed(const Track& t, const Movement& m, View view, double stature, const PersonNeutral& own = {}) {
    ReviewOptions o;
    o.view = view;
    o.stature_m = stature;
    o.own = own;
    const auto r = make_review(t, m, o);
    return r ? *r : nullptr;
}

PersonNeutral marked(const Review& r, double at, std::int64_t clip) {
    PersonNeutral n;
    RightMoment m;
    m.clip = clip, m.time_s = at, m.view = r.motion.view, m.version = own_figures_version;
    m.figures = figures_at(r.motion, at);
    n.moments.push_back(m);
    return n;
}

const Finding* of(const Review& r, const char* measure) {
    for (const auto& f : r.findings)
        if (f.measure == measure) return &f;
    return nullptr;
}
/// In the quiet stand before the movement begins.
double standing(const Review& r) {
    return 0.5 * (r.motion.neutral.from_s + r.motion.neutral.to_s);
}

} // namespace

class TestNeutral : public QObject {
    Q_OBJECT
private slots:
    void figures_of_a_moment_are_those_of_the_body() {
        const auto m = test::movement("open_and_close");
        for (const View view : {View::three_d, View::left}) {
            const auto o = student(5, view, 1.63);
            const sim::Take take(m, o);
            const bool pixels = view != View::three_d;
            const auto r = reviewed(with_head_ahead(take, 0.06, pixels), m, view, 1.63);
            QVERIFY(r);
            const double t = standing(*r);
            const auto f = static_cast<std::size_t>(std::lower_bound(take.truth().time_s.begin(), take.truth().time_s.end(), t) -
                                                    take.truth().time_s.begin());
            const Body3& b = take.truth().points[f];
            const double ahead = 0.5 * (b[left_ear].z() + b[right_ear].z() - b[left_shoulder].z() - b[right_shoulder].z()) + 0.06;
            const double gap = b[left_ear].y() - b[left_shoulder].y();
            const auto here = figures_at(r->motion, t);
            QVERIFY(here.of(OwnPart::head) && here.of(OwnPart::gap_left));
            const double off = std::abs(here.of(OwnPart::head)->value * 1.63 - ahead);
            QVERIFY2(off < (pixels ? 0.02 : 0.002), qPrintable(QString::number(off)));
            QVERIFY(std::abs(here.of(OwnPart::gap_left)->value * 1.63 - gap) < (pixels ? 0.025 : 0.003));
            QVERIFY(here.of(OwnPart::head)->sigma >= 0 && here.of(OwnPart::head)->sigma < 0.03);
        }
    }

    void a_habit_shows_against_what_is_right_and_is_praised_when_it_is_gone() {
        const auto m = test::movement("open_and_close");
        for (const View view : {View::three_d, View::left, View::right}) {
            const bool pixels = view != View::three_d;
            const double noise = pixels ? 1.5 : 0;
            // The first clip shows it as it should be, and the instructor says so.
            const sim::Take first(m, student(11, view));
            const auto right = reviewed(with_head_ahead(first, 0, pixels, noise, 1), m, view, 1.7);
            QVERIFY(right);
            const auto own = marked(*right, standing(*right), 1);
            // A later one has the head 9 cm ahead from beginning to end.
            auto later_options = student(11, view);
            const sim::Take later(m, later_options);
            const auto track = with_head_ahead(later, 0.09, pixels, noise, 2);
            const auto without = reviewed(track, m, view, 1.7);
            QVERIFY(without);
            const Finding* silent = of(*without, "head.offset");
            QVERIFY(silent && silent->verdict != Verdict::outside);
            QVERIFY2(!silent->sure && silent->sure_phase.empty(), "a habit is praised");
            const auto with = reviewed(track, m, view, 1.7, own);
            QVERIFY(with);
            const Finding* told = of(*with, "head.offset");
            QVERIFY(told);
            QVERIFY(told->own_neutral);
            QCOMPARE(told->verdict, Verdict::outside);
            QCOMPARE(told->direction, Direction::high);
            QVERIFY2(std::abs(told->value - 9) < 3 * told->sigma + 0.5, qPrintable(QString::number(told->value)));
            // And one without it is praised.
            const auto cured = reviewed(with_head_ahead(later, 0, pixels, noise, 3), m, view, 1.7, own);
            QVERIFY(cured);
            const Finding* good = of(*cured, "head.offset");
            QVERIFY(good);
            QCOMPARE(good->verdict, Verdict::inside);
            QVERIFY(std::abs(good->value) < 3 * good->sigma + 0.3);
            if (!pixels) QVERIFY2(good->sure || !good->sure_phase.empty(), "what is right for certain may be praised");
        }
    }

    void raised_shoulders_show_against_what_is_right() {
        const auto m = test::movement("opening_rise_and_sink");
        const sim::Take take(m, student(3, View::front));
        const auto right = reviewed(test::room_track(take), m, View::three_d, 1.7);
        QVERIFY(right);
        const auto own = marked(*right, standing(*right), 1);
        Track t = test::room_track(take);
        for (auto& b : t.m) (*b)[left_shoulder].y() += 0.05, (*b)[right_shoulder].y() += 0.05;
        const auto without = reviewed(t, m, View::three_d, 1.7), with = reviewed(t, m, View::three_d, 1.7, own);
        QVERIFY(without && with);
        QVERIFY(of(*without, "shoulder.gap")->verdict != Verdict::outside);
        const Finding* f = of(*with, "shoulder.gap");
        QVERIFY(f && f->own_neutral);
        QCOMPARE(f->verdict, Verdict::outside);
        QCOMPARE(f->direction, Direction::low);
    }

    void views_do_not_speak_for_each_other() {
        PersonNeutral n;
        for (const auto& [clip, view, value] :
             {std::tuple{1, View::left, 0.02}, {1, View::left, 0.03}, {2, View::right, 0.05}, {3, View::front, 0.09}}) {
            RightMoment m;
            m.clip = clip, m.view = view;
            m.figures.of(OwnPart::head) = OwnFigure{value, 0.004, false};
            n.moments.push_back(m);
        }
        const auto side = n.seen_from(View::left);
        QVERIFY(side.of(OwnPart::head));
        // Two of one clip are one voice: the mean of 0.025 and 0.05, and its error what they differ by.
        QVERIFY(std::abs(side.of(OwnPart::head)->value - 0.0375) < 1e-12);
        QVERIFY(std::abs(side.of(OwnPart::head)->sigma - 0.0125) < 1e-9);
        QCOMPARE(n.seen_from(View::right).of(OwnPart::head)->value, side.of(OwnPart::head)->value);
        QCOMPARE(n.seen_from(View::front).of(OwnPart::head)->value, 0.09);
        QVERIFY(!n.seen_from(View::back).of(OwnPart::head));
        QVERIFY(!n.seen_from(View::three_d).of(OwnPart::head));
        RightMoment askew;
        askew.view = View::oblique;
        askew.figures.of(OwnPart::head) = OwnFigure{0.01, 0.001, false};
        n.moments.push_back(askew);
        QVERIFY2(!n.seen_from(View::oblique).of(OwnPart::head), "from here or from there");
        n.by_hand.of(OwnPart::head) = OwnFigure{0.01, 0, true};
        for (const View v : {View::front, View::back, View::left, View::right, View::oblique, View::three_d}) {
            QCOMPARE(n.seen_from(v).of(OwnPart::head)->value, 0.01);
            QVERIFY(n.seen_from(v).of(OwnPart::head)->by_hand);
        }
    }

    void effort_beyond_the_ease_is_told_and_seven_tenths_are_not() {
        struct Row {
            const char *movement, *what, *check;
        };
        for (const Row& row : {Row{"squat_and_scoop", "depth", "range_depth"}, Row{"horse_fists", "depth", "range_depth"},
                               Row{"look_behind", "twist", "range_twist"}, Row{"side_bend_overhead", "bend", "range_bend"}}) {
            const auto m = test::movement(row.movement);
            auto way = test::as_asked(m);
            const auto silent = test::reviewed(m, way);
            QVERIFY(silent);
            QVERIFY2(!test::find(*silent, row.check), "nothing is said where no range is known");
            for (const double share : {0.7, 1.0}) {
                way.own = [&](const sim::Truth& truth) { return test::ease_that_is_used(truth, row.what, share); };
                const auto r = test::reviewed(m, way);
                QVERIFY(r);
                const Finding* f = nullptr;
                for (const auto& x : r->findings)
                    if (x.check.starts_with(row.check) && (!f || x.verdict == Verdict::outside)) f = &x;
                QVERIFY2(f, row.movement);
                QVERIFY2((f->verdict == Verdict::outside) == (share > 0.9), row.movement);
                if (share > 0.9) {
                    QCOMPARE(f->severity, Severity::safety);
                    QVERIFY(std::abs(f->value - 100) < 8);
                }
            }
        }
    }

    void who_sits_does_not_sink() {
        auto m = test::movement("seated_rise_and_sink");
        auto way = test::as_asked(m);
        way.own = [](const sim::Truth&) {
            PersonNeutral n;
            n.depth = Comfort{0.1, 0};
            return n;
        };
        const auto r = test::reviewed(m, way);
        QVERIFY(r);
        for (const auto& f : r->findings) QVERIFY2(!f.check.starts_with("range_depth"), f.check.c_str());
    }

    void a_drill_of_full_tension_is_no_effort_beyond_the_ease() {
        for (const auto& c : test::movement("fists_tight_and_let_go").checks)
            if (c.rule == "R1") QVERIFY2(!c.low && !c.high, c.id.c_str());
    }

    void nobody_is_held_against_the_test_itself() {
        PersonNeutral n;
        n.depth = Comfort{0.2, 7};
        n.twist = Comfort{30, 8};
        n.bend = Comfort{20, 0};
        const auto of_seven = n.for_clip(7);
        QVERIFY(!of_seven.depth && of_seven.twist && of_seven.bend);
        const auto of_none = n.for_clip(0);
        QVERIFY(of_none.depth && of_none.twist && of_none.bend);
        // Its own moments count only where there is no other, and then nothing is praised for them.
        RightMoment here;
        here.clip = 7, here.view = View::left;
        here.figures.of(OwnPart::head) = OwnFigure{0.05, 0.004, false};
        n.moments = {here};
        QVERIFY(n.for_clip(7).seen_from(View::left).of(OwnPart::head)->of_clip);
        QVERIFY(!n.for_clip(8).seen_from(View::left).of(OwnPart::head)->of_clip);
        RightMoment there = here;
        there.clip = 9, there.figures.of(OwnPart::head) = OwnFigure{0.01, 0.004, false};
        n.moments.push_back(there);
        const auto f = n.for_clip(7).seen_from(View::right);
        QCOMPARE(f.of(OwnPart::head)->value, 0.01);
        QVERIFY(!f.of(OwnPart::head)->of_clip);
        QVERIFY(std::abs(n.for_clip(8).seen_from(View::left).of(OwnPart::head)->value - 0.03) < 1e-12);
    }

    void who_is_known_to_stoop_is_held_against_that() {
        const auto m = test::movement("opening_rise_and_sink");
        auto done = m;
        for (auto& p : done.phases) p.posture.lean += 16;
        done.home.lean += 16;
        test::Wrong w = test::as_asked(m);
        w.done = done;
        const auto stranger = test::reviewed(m, w);
        QVERIFY(stranger);
        const Finding* leans = of(*stranger, "trunk.lean");
        QVERIFY(leans && leans->verdict == Verdict::outside && leans->direction == Direction::high);
        w.own = [](const sim::Truth&) {
            PersonNeutral n;
            n.by_hand.of(OwnPart::stoop) = OwnFigure{16, 0, true};
            return n;
        };
        const auto known = test::reviewed(m, w);
        QVERIFY(known);
        const Finding* as_known = of(*known, "trunk.lean");
        QVERIFY(as_known && as_known->verdict == Verdict::inside);
        PersonNeutral beyond; // no body stands so
        beyond.by_hand.of(OwnPart::stoop) = OwnFigure{80, 0, true};
        QVERIFY(!parse_neutral(neutral_text(beyond)));
    }

    void a_test_is_told_by_what_is_kept_for_half_a_second() {
        const auto m = test::movement("squat_and_scoop");
        const auto r = test::reviewed(m, test::as_asked(m));
        QVERIFY(r);
        const auto shown = range_shown(r->measures);
        QVERIFY(shown.depth);
        double deepest = 0;
        for (const auto& s : r->measures.find("hip.height")->samples) deepest = std::max(deepest, 1 - s.value);
        QVERIFY(*shown.depth <= deepest && *shown.depth > 0.8 * deepest);
        // A jerk of a few frames is no range.
        Measures jerk = r->measures;
        auto& s = jerk.series["hip.height"].samples;
        for (std::size_t k = 0; k < s.size(); ++k) s[k].value = k % 100 < 4 ? 0.5 : 0.999;
        QVERIFY(!range_shown(jerk).depth);
        for (auto& x : s) x = {0.7, 0.2, Absent::none};
        QVERIFY2(!range_shown(jerk).depth, "what cannot be told is no range");
        QVERIFY(!range_shown(Measures{}).depth);
    }

    void the_text_is_read_as_it_was_written() {
        QVERIFY(neutral_text({}).empty());
        PersonNeutral n;
        RightMoment m;
        m.clip = 3, m.time_s = 1.25, m.view = View::left, m.version = 1;
        m.figures.of(OwnPart::gap_right) = OwnFigure{0.1, 0.004, false};
        n.moments.push_back(m);
        n.by_hand.of(OwnPart::gaze) = OwnFigure{-4, 0, true};
        n.twist = Comfort{32, 3};
        const auto again = parse_neutral(neutral_text(n));
        QVERIFY(again);
        QCOMPARE(neutral_text(*again), neutral_text(n));
        QVERIFY(again->by_hand.of(OwnPart::gaze)->by_hand);
        QVERIFY(!again->moments.front().figures.of(OwnPart::gap_right)->by_hand);
        auto numbered = *again;
        numbered.renumber([](std::int64_t id) { return id * 10; });
        QCOMPARE(numbered.moments.front().clip, std::int64_t{30});
        QCOMPARE(numbered.twist->clip, std::int64_t{30});
    }

    void a_text_that_is_none_is_refused() {
        for (const char* bad :
             {"[]", "{", "nonsense", "{\"moments\":1}", "{\"moments\":[1]}", "{\"moments\":[{}]}",
              "{\"moments\":[{\"clip\":-1,\"time_s\":1,\"view\":\"left\",\"figures\":{}}]}",
              "{\"moments\":[{\"clip\":1,\"time_s\":1e9,\"view\":\"left\",\"figures\":{}}]}",
              "{\"moments\":[{\"clip\":1,\"time_s\":1,\"view\":\"above\",\"figures\":{}}]}", "{\"by_hand\":{\"head\":[9,0]}}",
              "{\"by_hand\":{\"head\":[0.01,-1]}}", "{\"by_hand\":{\"head\":\"far\"}}", "{\"by_hand\":[]}", "{\"depth\":{\"value\":4}}",
              "{\"depth\":4}", "{\"bend\":{\"value\":1e400}}", "{\"twist\":{\"value\":30,\"clip\":\"x\"}}"})
            QVERIFY2(!parse_neutral(bad), bad);
        std::string many = "{\"moments\":[";
        for (int k = 0; k < 41; ++k) many += std::string(k ? "," : "") + R"({"clip":1,"time_s":1,"view":"left","figures":{}})";
        QVERIFY(!parse_neutral(many + "]}"));
        QVERIFY(!parse_neutral(std::string(70000, ' ')));
    }

    /// The same points, read again, give the same figures: else own_figures_version is to be raised, so that moments that were marked are
    /// worked out anew.
    void the_version_is_that_of_the_way_points_are_read() {
        const auto bytes = read_text(std::string(BEVEL_SOURCE_DIR) + "/tests/data/odd/take-3.track", 64 << 20);
        QVERIFY(bytes);
        const auto track = unpack_track(*bytes);
        QVERIFY(track);
        MotionOptions o;
        o.stature_m = 1.7;
        const auto motion = make_motion(*track, o);
        QVERIFY(motion);
        const auto figures = figures_at(*motion, 0.5 * (motion->time_s.front() + motion->time_s.back()));
        QVERIFY(!figures.empty());
        std::string now;
        for (std::size_t k = 0; k < own_part_count; ++k)
            if (figures[k])
                now += std::string(own_part_name(static_cast<OwnPart>(k))) + " " +
                       QString::number(figures[k]->value, 'f', 3).toStdString() + "; ";
        QCOMPARE(QString::fromStdString(std::to_string(own_figures_version) + ": " + now),
                 QStringLiteral("3: gap_left 0.093; gap_right 0.105; gaze 7.213; "));
    }
};
QTEST_GUILESS_MAIN(TestNeutral)
#include "test_neutral.moc"
