// Quiet tests: counts are exact, times within 0.15 s, sway as it was put in, from points in metres and from one camera.
#include "core/measure/quiet_test.h"
#include "support/synthetic.h"
#include <cmath>
#include <numbers>
#include <QTest>
#include <random>

using namespace bevel;

namespace {

/// Nobody in particular, for tests of what is counted from measures alone.
struct Bare {
    Motion motion;
    Measures measures;
    explicit Bare(double seconds, double fps) {
        for (double t = 0; t <= seconds; t += 1 / fps) {
            motion.time_s.push_back(t);
            motion.m.emplace_back();
            motion.valid.push_back(true);
            motion.facing.push_back(0);
        }
        motion.rate = fps;
        measures.time_s = motion.time_s;
        for (auto& c : measures.contact) c.assign(motion.frames(), Contact::flat);
        for (auto& c : measures.contact_sigma) c.assign(motion.frames(), 0);
        measures.centre.assign(motion.frames(), Vec3::Zero());
    }
    void off(Side s, double from, double to) {
        for (std::size_t f = 0; f < motion.frames(); ++f)
            if (motion.time_s[f] >= from && motion.time_s[f] < to) measures.contact[static_cast<std::size_t>(s)][f] = Contact::off;
    }
    template <class F> void series(const char* id, std::optional<Side> side, F f, double sigma) {
        MeasureSeries s{id, "", side, std::vector<Sample>(motion.frames())};
        for (std::size_t k = 0; k < motion.frames(); ++k) {
            s.samples[k].value = f(motion.time_s[k]);
            s.samples[k].sigma = sigma;
            s.samples[k].own = s.samples[k].clip = static_cast<float>(0.5 * sigma);
        }
        measures.series[measure_key(id, side)] = std::move(s);
    }
    template <class F> void height(F f, double noise = 0, std::uint64_t seed = 1) {
        std::mt19937_64 rng(seed);
        std::normal_distribution<double> one(0, 1);
        MeasureSeries s{"hip.height", "1", std::nullopt, std::vector<Sample>(motion.frames())};
        for (std::size_t k = 0; k < motion.frames(); ++k) {
            s.samples[k].value = f(motion.time_s[k]) + noise * one(rng);
            s.samples[k].sigma = std::max(noise, 0.002);
            s.samples[k].own = static_cast<float>(std::max(noise, 0.002));
        }
        measures.series["hip.height"] = std::move(s);
    }
};

double eased(double u) {
    u = std::clamp(u, 0.0, 1.0);
    return u * u * (3 - 2 * u);
}
/// Share of the way at which an eased one is done by a tenth: 3u^2 - 2u^3 = 0.1.
constexpr double tenth = 0.19580;

bool noted(const QuietTestTaken& t, const char* note) {
    return std::find(t.notes.begin(), t.notes.end(), note) != t.notes.end();
}

/// Longest stretch in which the other foot is off the floor, from exact heights.
double off_for(const sim::Truth& truth, Side leg) {
    double best = 0;
    const auto free = static_cast<std::size_t>(other(leg));
    for (std::size_t f = 0; f < truth.time_s.size(); ++f) {
        if (truth.contact[f][free] != Contact::off) continue;
        std::size_t to = f;
        while (to < truth.time_s.size() && truth.contact[to][free] == Contact::off) ++to;
        best = std::max(best, truth.time_s[std::min(to, truth.time_s.size() - 1)] - truth.time_s[f]);
        f = to;
    }
    return best;
}

} // namespace

class TestQuiet : public QObject {
    Q_OBJECT
private slots:
    void names_are_read_as_they_are_written() {
        for (int k = 0; k < quiet_test_count; ++k)
            for (const auto t : {static_cast<QuietTest>(k)}) QCOMPARE(quiet_test_from_name(quiet_test_name(t)), std::optional(t));
        QVERIFY(!quiet_test_from_name("squat") && !quiet_test_from_name(""));
    }

    void a_stand_on_one_leg_is_the_time_between_leaving_and_touching() {
        for (const double fps : {10.0, 30.0, 60.0}) {
            Bare b(90, fps);
            b.off(Side::right, 5, 17.4); // stands on the left
            b.off(Side::right, 18, 22);
            b.off(Side::left, 40, 75); // on the right, longer than it is meant to last
            const auto r = take_quiet_test(QuietTest::one_leg_stand, b.motion, b.measures);
            QVERIFY(r.has_value());
            const auto *left = r->find("time", Side::left), *right = r->find("time", Side::right);
            QVERIFY(left && right && std::abs(left->value - 12.4) < 0.15 && left->sigma > 0);
            QCOMPARE(right->value, one_leg_most_s);
            QVERIFY(noted(*r, "ended") && !noted(*r, "cut") && !noted(*r, "one_side") && !noted(*r, "supported"));
        }
        // A touch ends it: the longer of the two stands counts.
        Bare b(40, 30);
        b.off(Side::right, 5, 12);
        b.off(Side::right, 12.2, 22);
        std::vector<SupportState> hand(1);
        hand[0].from_s = 14, hand[0].to_s = 15;
        const auto r = take_quiet_test(QuietTest::one_leg_stand, b.motion, b.measures, hand);
        QVERIFY(r && std::abs(r->find("time", Side::left)->value - 9.8) < 0.15);
        QVERIFY(noted(*r, "one_side") && noted(*r, "supported") && !r->find("time", Side::right));
        // Cut off by the end of the clip; nobody on one leg; a step is none.
        Bare cut(20, 30);
        cut.off(Side::left, 12, 99);
        QVERIFY(noted(*take_quiet_test(QuietTest::one_leg_stand, cut.motion, cut.measures), "cut"));
        Bare none(20, 30);
        none.off(Side::left, 12, 12.6);
        QCOMPARE(take_quiet_test(QuietTest::one_leg_stand, none.motion, none.measures).error().context, std::string("not_shown"));
    }

    void a_stand_on_one_leg_is_found_from_points() {
        for (const View view : {View::three_d, View::front}) {
            auto o = sim::take_of(4, 1.7);
            if (view != View::three_d) o.phone.view = view;
            const sim::Take take(test::movement("one_leg_stand"), o);
            MotionOptions mo;
            mo.view = view;
            mo.stature_m = 1.7;
            const auto m = make_motion(view == View::three_d ? test::room_track(take) : test::pixel_track(take, 0.7, 3), mo);
            QVERIFY(m.has_value());
            const auto r = take_quiet_test(QuietTest::one_leg_stand, *m, measure(*m));
            QVERIFY(r.has_value());
            for (const Side leg : {Side::left, Side::right}) {
                const auto* f = r->find("time", leg);
                QVERIFY(f);
                const double truth = std::min(off_for(take.truth(), leg), one_leg_most_s);
                // From the front a foot that leaves the floor shows little of it: the error is stated.
                QVERIFY2(std::abs(f->value - truth) < (view == View::three_d ? 0.15 : std::max(0.15, 2.5 * f->sigma)),
                         qPrintable(QString("%1: %2 against %3")
                                        .arg(view == View::three_d ? "3d" : "front")
                                        .arg(QString("%1 ± %2").arg(f->value).arg(f->sigma))
                                        .arg(truth)));
            }
        }
    }

    void rises_from_a_chair_are_counted_and_timed() {
        // Five unhurried rises: sits, rises in r, stands, sits down.
        const double r = 1.6, stand = 1.0, down = 1.8, sit = 1.2, seat = 0.62;
        const auto height = [&](int rises) {
            return [=](double t) {
                const double each = r + stand + down + sit;
                const double at = t - 3;
                if (at < 0 || at > rises * each) return seat;
                const double u = std::fmod(at, each);
                if (u < r) return seat + (1 - seat) * eased(u / r);
                if (u < r + stand) return 1.0;
                return 1 - (1 - seat) * eased((u - r - stand) / down);
            };
        };
        for (const double fps : {12.0, 30.0, 60.0})
            for (const double noise : {0.0, 0.006})
                for (const int rises : {1, 3, 5}) {
                    Bare b(3 + rises * 5.6 + 3, fps);
                    b.height(height(rises), noise, 7);
                    const auto t = take_quiet_test(QuietTest::sit_to_stand, b.motion, b.measures);
                    QVERIFY(t.has_value());
                    QCOMPARE(t->find("rises")->value, static_cast<double>(rises));
                    QCOMPARE(t->find("rises")->sigma, 0.0);
                    const double one = r * (1 - 2 * tenth), all = (rises - 1) * 5.6 + one;
                    QVERIFY2(std::abs(t->find("rise")->value - one) < 0.15, qPrintable(QString::number(t->find("rise")->value)));
                    QVERIFY2(std::abs(t->find("first_to_last")->value - all) < 0.15,
                             qPrintable(QString("%1 %2").arg(t->find("first_to_last")->value).arg(all)));
                }
        // Who stands as the clip begins has not risen; squats are no seat; nobody who only stands has risen.
        Bare b(20, 30);
        b.height([&](double t) {
            return t < 4 ? 1.0 : t < 6 ? 1 - 0.38 * eased((t - 4) / 2) : t < 10 ? 0.62 : 0.62 + 0.38 * eased((t - 10) / 2);
        });
        QCOMPARE(take_quiet_test(QuietTest::sit_to_stand, b.motion, b.measures)->find("rises")->value, 1.0);
        b.height([](double t) { return 1 - 0.12 * (0.5 - 0.5 * std::cos(t)); });
        QCOMPARE(take_quiet_test(QuietTest::sit_to_stand, b.motion, b.measures).error().context, std::string("not_shown"));
        b.measures.series.clear();
        QCOMPARE(take_quiet_test(QuietTest::sit_to_stand, b.motion, b.measures).error().context, std::string("view"));
    }

    void heels_that_rise_are_counted() {
        for (const View view : {View::three_d, View::left, View::front})
            for (const int times : {3, 5}) {
                auto o = sim::take_of(6, 1.7);
                o.student.score.repetitions = times;
                if (view != View::three_d) o.phone.view = view;
                const sim::Take take(test::movement("heel_raise_and_drop"), o);
                MotionOptions mo;
                mo.view = view;
                mo.stature_m = 1.7;
                const auto m = make_motion(view == View::three_d ? test::room_track(take) : test::pixel_track(take, 0.7, 3), mo);
                QVERIFY(m.has_value());
                const auto r = take_quiet_test(QuietTest::heel_raises, *m, measure(*m));
                QVERIFY2(r.has_value(), r ? "" : r.error().context.c_str());
                double top = 0, floor = 1e9;
                for (const auto& b : take.truth().points) {
                    top = std::max(top, 100 * b[left_heel].y());
                    floor = std::min(floor, 100 * b[left_heel].y());
                }
                int raised = 0; // counted by the exact height of the heel
                bool up = false;
                for (const auto& b : take.truth().points) {
                    const double h = 100 * b[left_heel].y() - floor;
                    if (!up && h > 0.7 * (top - floor)) up = true, ++raised;
                    if (h < 0.2 * (top - floor)) up = false;
                }
                QVERIFY(raised >= times);
                QCOMPARE(r->find("raises")->value, static_cast<double>(raised));
                for (const Side side : {Side::left, Side::right}) {
                    const auto* height = r->find("raise_height", side);
                    QVERIFY(height);
                    QVERIFY2(std::abs(height->value - (top - floor)) < (view == View::three_d ? 1.0 : std::max(1.5, 2 * height->sigma)),
                             qPrintable(QString("%1 ± %2 against %3").arg(height->value).arg(height->sigma).arg(top - floor)));
                }
            }
        auto o = sim::take_of(6, 1.7);
        const sim::Take still(test::movement("quiet_stand"), o);
        MotionOptions mo;
        mo.view = View::three_d;
        const auto m = make_motion(test::room_track(still), mo);
        QVERIFY(m.has_value());
        QCOMPARE(take_quiet_test(QuietTest::heel_raises, *m, measure(*m)).error().context, std::string("not_shown"));
        Bare front(20, 30);
        QCOMPARE(take_quiet_test(QuietTest::heel_raises, front.motion, front.measures).error().context, std::string("view"));
    }

    /// A body that sways by known amounts, at several frame rates, with and without noise of its points: what is told is what was put in.
    void sway_is_told_without_the_noise_and_alike_at_every_rate() {
        const double sideways_mm = 3, forward_mm = 6, seconds = 40;
        const sim::Student student(test::movement("quiet_stand"), [] {
            sim::StudentOptions o;
            o.sway = 0;
            return o;
        }());
        const Body3 still = student.pose(2).points;
        std::vector<double> told;
        for (const double fps : {15.0, 30.0, 60.0})
            for (const double noise_mm : {0.0, 6.0}) {
                std::mt19937_64 rng(11);
                std::normal_distribution<double> one(0, 1);
                Track t;
                std::vector<double> x, z;
                for (double at = 0; at < seconds; at += 1 / fps) {
                    // Three sines each, none a multiple of another; root mean square 1.
                    const auto wave = [&](double a, double b, double c) {
                        const double w = 2 * std::numbers::pi * at;
                        return (std::sin(a * w) + std::sin(b * w + 1) + std::sin(c * w + 2)) / std::sqrt(1.5);
                    };
                    const double dx = sideways_mm / 1000 * wave(0.17, 0.41, 0.83), dz = forward_mm / 1000 * wave(0.23, 0.37, 0.71);
                    Body3 b = still;
                    for (std::size_t p = 0; p < point_count; ++p) {
                        if (p != left_ankle && p != right_ankle && p != left_heel && p != right_heel && p != left_toe && p != right_toe)
                            b[p] += Vec3(dx, 0, dz); // all but the feet
                        b[p] += noise_mm / 1000 * Vec3(one(rng), one(rng), one(rng));
                    }
                    t.time_s.push_back(at);
                    t.m.emplace_back(b);
                    t.px.emplace_back();
                    x.push_back(dx), z.push_back(dz);
                }
                MotionOptions mo;
                mo.view = View::three_d;
                const auto m = make_motion(t, mo);
                QVERIFY(m.has_value());
                const auto r = take_quiet_test(QuietTest::quiet_stand, *m, measure(*m));
                QVERIFY2(r.has_value(), r ? "" : r.error().context.c_str());
                QVERIFY(std::abs(r->to_s - r->from_s - quiet_stand_s) < 0.2);
                const auto *side = r->find("sway_sideways"), *ahead = r->find("sway_forward"), *area = r->find("sway_area");
                QVERIFY(side && ahead && area);
                // The feet carry a little of the mass and stand still.
                QVERIFY2(std::abs(side->value - 0.97 * sideways_mm) < 0.12 * sideways_mm, qPrintable(QString::number(side->value)));
                QVERIFY2(std::abs(ahead->value - 0.97 * forward_mm) < 0.12 * forward_mm, qPrintable(QString::number(ahead->value)));
                const double ellipse = 0.01 * std::numbers::pi * 5.991 * side->value * ahead->value; // cm2 of mm, uncorrelated
                QVERIFY2(std::abs(area->value - ellipse) < 0.15 * ellipse, qPrintable(QString("%1 %2").arg(area->value).arg(ellipse)));
                QVERIFY(side->sigma > 0 && side->sigma < side->value && area->sigma > 0);
                told.push_back(ahead->value);
            }
        const auto [low, high] = std::minmax_element(told.begin(), told.end());
        QVERIFY2(*high - *low < 0.6,
                 qPrintable(QString("%1 to %2 mm").arg(*low).arg(*high))); // a twentieth of the noise that was added, at most
    }

    void a_stand_that_is_too_short_or_none_says_so() {
        const auto of = [](double seconds, bool walks) {
            const sim::Student student(test::movement("quiet_stand"), {});
            const Body3 still = student.pose(2).points;
            Track t;
            for (double at = 0; at < seconds; at += 1.0 / 30) {
                Body3 b = still;
                if (walks)
                    for (auto& p : b) p += Vec3(0.4 * std::sin(2 * at), 0, 0);
                t.time_s.push_back(at);
                t.m.emplace_back(b);
                t.px.emplace_back();
            }
            MotionOptions mo;
            mo.view = View::three_d;
            const auto m = make_motion(t, mo);
            return take_quiet_test(QuietTest::quiet_stand, *m, measure(*m));
        };
        QCOMPARE(of(5, false).error().context, std::string("too_short"));
        QCOMPARE(of(20, true).error().context, std::string("not_shown"));
        const auto r = of(12, false); // shorter than half a minute is told, with its own length
        QVERIFY(r.has_value());
        QVERIFY(r->to_s - r->from_s > 10 && r->to_s - r->from_s < 12.1);
        Bare nobody(0.1, 30);
        for (int k = 0; k < quiet_test_count; ++k) QVERIFY(!take_quiet_test(static_cast<QuietTest>(k), nobody.motion, nobody.measures));
    }

    /// What is kept for half a second counts, not a swing past it; each side by itself; what is told worse than to a seventh is left out.
    void how_far_with_ease_is_what_is_kept() {
        Bare b(20, 30);
        const auto between = [](double t, double from, double to) { return t >= from && t < to; };
        b.series(
            "turn.gap", std::nullopt,
            [&](double t) { return between(t, 2, 3)     ? 30.0
                                   : between(t, 5, 5.3) ? 55.0
                                   : between(t, 7, 8)   ? -22.0
                                                        : 0.0; }, 2);
        b.series(
            "trunk.side", std::nullopt, [&](double t) { return between(t, 9, 10) ? 20.0 : 0.0; }, 4); // worse than a seventh
        b.series(
            "hip.height", std::nullopt, [&](double t) { return between(t, 11, 13) ? 0.72 : 1.0; }, 0.01);
        b.series(
            "hand.height", Side::left, [&](double t) { return between(t, 14, 16) ? 1.21 : 0.45; }, 0.01);
        b.series(
            "hand.height", Side::right, [&](double t) { return between(t, 14, 16) ? 0.7 : 0.45; }, 0.01); // not raised
        const auto r = take_quiet_test(QuietTest::comfortable_ranges, b.motion, b.measures);
        QVERIFY(r.has_value());
        QCOMPARE(r->figures.size(), 4U);
        QCOMPARE(r->find("turn", Side::left)->value, 30.0);
        QCOMPARE(r->find("turn", Side::right)->value, 22.0);
        QVERIFY(std::abs(r->find("squat")->value - 28) < 1e-9 && r->find("squat")->unit == "%");
        QVERIFY(std::abs(r->find("overhead", Side::left)->value - 121) < 1e-9);
        // What stays with the person is not in the error: they are held against themselves.
        QVERIFY(std::abs(r->find("turn", Side::left)->sigma - std::hypot(1, 1)) < 1e-6);
        QVERIFY(std::abs(r->from_s - 2) < 0.1 && r->to_s > 13.9 && r->to_s < 16);
        QVERIFY(r->notes.empty());
        SupportState hand;
        hand.from_s = 11, hand.to_s = 12;
        QVERIFY(noted(*take_quiet_test(QuietTest::comfortable_ranges, b.motion, b.measures, std::array{hand}), "supported"));
        Bare still(20, 30);
        still.series(
            "turn.gap", std::nullopt, [](double) { return 1.0; }, 0.1);
        still.motion.has_x = true;
        QCOMPARE(take_quiet_test(QuietTest::comfortable_ranges, still.motion, still.measures).error().context, std::string("not_shown"));
    }
    void how_one_stands_is_told_from_a_quiet_stand() {
        const auto stands = [](double lean, double head_m, double seconds) {
            sim::StudentOptions o;
            o.stand_lean = lean, o.stand_head = head_m, o.sway = 0;
            const sim::Student student(test::movement("quiet_stand"), o);
            const Body3 still = student.pose(2).points;
            Track t;
            for (double at = 0; at < seconds; at += 1.0 / 30) {
                t.time_s.push_back(at);
                t.m.emplace_back(still);
                t.px.emplace_back();
            }
            MotionOptions mo;
            mo.view = View::three_d;
            const auto m = make_motion(t, mo);
            return take_quiet_test(QuietTest::neutral_stand, *m, measure(*m));
        };
        const auto plain = stands(0, 0, 10), stooped = stands(6, 0.06, 10);
        QVERIFY(plain && stooped);
        const auto more = [&](const char* id) { return stooped->find(id)->value - plain->find(id)->value; };
        QVERIFY2(std::abs(more("lean") - 6) < 1, qPrintable(QString::number(more("lean"))));
        QVERIFY2(std::abs(more("head_ahead") - 6) < 1.5, qPrintable(QString::number(more("head_ahead"))));
        QVERIFY(std::abs(plain->find("weight_left")->value - 50) < 3);
        QVERIFY(plain->find("feet_apart")->value > 0.2 && plain->find("toes_out", Side::left) && plain->find("toes_out", Side::right));
        QVERIFY(plain->figures.size() <= 20); // as many as are kept
        for (const auto& f : plain->figures) QVERIFY2(std::isfinite(f.value) && f.sigma >= 0 && std::isfinite(f.sigma), f.id.c_str());
        QCOMPARE(stands(0, 0, 2).error().context, std::string("too_short"));
    }
};

QTEST_GUILESS_MAIN(TestQuiet)
#include "test_quiet.moc"
