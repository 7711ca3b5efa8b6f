// Measures of one frame in closed form, contacts, events and shares: each against what was put there by hand or performed exactly.
#include "core/measure/frame_measures.h"
#include "core/measure/measures.h"
#include "support/plain_body.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <algorithm>
#include <cmath>
#include <QTest>
#include <set>

using namespace bevel;
using test::plain;

namespace {

double figure(const char* id, const Body3& b, Side side = Side::left, const Body3* neutral = nullptr) {
    Build c;
    c.side = side;
    c.info = measure_info(id);
    c.stature = 1.7;
    c.shoulder_width = 0.36;
    c.neutral = neutral;
    for (const auto& d : frame_measures())
        if (std::string_view(d.id) == id) {
            const Value v = d.f(b, c);
            return v.absent == Absent::none ? v.v : NAN;
        }
    return NAN;
}
bool near(double a, double b, double tolerance = 1e-6) {
    return std::abs(a - b) < tolerance;
}
Vec3& at(Body3& b, Side s, Point left) {
    return b[static_cast<std::size_t>(on(s, left))];
}

Track track_of(const std::vector<Body3>& bodies, double rate) {
    Track t;
    for (std::size_t i = 0; i < bodies.size(); ++i) {
        t.time_s.push_back(static_cast<double>(i) / rate);
        t.px.emplace_back();
        t.m.emplace_back(bodies[i]);
    }
    return t;
}
Measures measured(const Track& t) {
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = 1.7;
    return measure(*make_motion(t, o));
}
std::vector<Event> of_kind(const Measures& m, EventKind k, std::optional<Side> side = std::nullopt) {
    std::vector<Event> out;
    for (const auto& e : m.events)
        if (e.kind == k && (!side || e.side == side)) out.push_back(e);
    return out;
}

} // namespace

class TestEvidence : public QObject {
    Q_OBJECT
private slots:
    void every_measure_is_one_of_the_catalogue() {
        std::set<std::string> ids;
        for (const auto& i : measure_catalogue()) {
            QVERIFY2(ids.insert(i.id).second, i.id.c_str()); // once
            QVERIFY(!i.name.empty() && !i.definition.empty() && !i.seen_from.empty());
        }
        for (const auto& d : frame_measures()) QVERIFY2(ids.contains(d.id), d.id);
        const Measures m = measured(track_of(std::vector<Body3>(60, plain()), 30));
        for (const auto& [key, s] : m.series) {
            QVERIFY2(ids.contains(s.id), key.c_str());
            QCOMPARE(s.samples.size(), std::size_t{60});
            QCOMPARE(s.unit, measure_info(s.id)->unit);
            QCOMPARE(s.side.has_value(), measure_info(s.id)->sided);
        }
        QVERIFY(!measure_info("knee.wobble"));
        // The gates are those of the catalogue's definitions.
        QCOMPARE(*measure_info("knee.flexion")->turned_deg, 25.0);
        QCOMPARE(*measure_info("knee.inward")->share, 0.8);
        QCOMPARE(*measure_info("knee.inward")->toes_out_deg, 15.0);
        QCOMPARE(*measure_info("pelvis.tilt")->turned_deg, 20.0);
        QCOMPARE(*measure_info("pelvis.turn")->turned_deg, 50.0);
        QCOMPARE(*measure_info("weight.left")->least_m, 0.25);
        QCOMPARE(*measure_info("knee.toe")->least_m, 0.08);
    }
    void feet() {
        Body3 b = plain();
        for (const auto& [side, out] : {std::pair{Side::left, 20.0}, {Side::right, 5.0}}) {
            const double w = side == Side::left ? 1 : -1;
            at(b, side, left_toe) = at(b, side, left_heel) + 0.26 * Vec3(w * std::sin(out * deg), 0, std::cos(out * deg));
        }
        QVERIFY(near(figure("foot.angle", b, Side::left), 20));
        QVERIFY(near(figure("foot.angle", b, Side::right), 5)); // out is positive on both sides
        QVERIFY(near(figure("foot.parity", b), 15));
        at(b, Side::left, left_heel).y() = 0.043;
        QVERIFY(near(figure("heel.rise", b, Side::left), 4.3));
    }
    void knees() {
        Body3 b = plain();
        for (const Side s : {Side::left, Side::right}) at(b, s, left_knee).x() = (s == Side::left ? 1 : -1) * 0.10;
        QVERIFY(near(figure("knee.gap", b), 0.2 / 0.36));
        at(b, Side::right, left_knee) = Vec3(-0.18 + 0.12 * std::sin(10 * deg), 0.45, 0.12 * std::cos(10 * deg));
        QVERIFY(near(figure("knee.toe", b, Side::right), 10)); // towards the other leg: inwards
        at(b, Side::right, left_knee) = Vec3(-0.18, 0.45, 0.05);
        QVERIFY(std::isnan(figure("knee.toe", b, Side::right))); // 5 cm have no direction
        at(b, Side::left, left_knee).z() = 0.225;
        QVERIFY(near(figure("knee.ahead", b, Side::left), 3.0));
    }
    void head() {
        const Body3 stand = plain();
        Body3 b = stand;
        for (const Side s : {Side::left, Side::right}) at(b, s, left_ear).z() += 0.035;
        QVERIFY(near(figure("head.offset", b, Side::left, &stand), 3.5));
        b = stand;
        const Vec3 ears(0, 1.58, 0.01);
        const double r = (stand[nose] - ears).norm(), was = std::atan2(stand[nose].y() - ears.y(), stand[nose].z() - ears.z());
        b[nose] = ears + r * Vec3(0, std::sin(was + 12 * deg), std::cos(was + 12 * deg));
        QVERIFY(near(figure("head.pitch", b, Side::left, &stand), 12));
        b[nose] = ears + 0.1 * Vec3(std::sin(25 * deg), 0, std::cos(25 * deg));
        QVERIFY(near(figure("head.turn", b), 25)); // to own left
        b = stand;
        at(b, Side::left, left_ear).y() -= 0.14 * std::tan(8 * deg);
        QVERIFY(near(figure("head.roll", b), 8)); // left ear down: towards own left
        for (auto& p : b) p.y() *= 0.9;
        for (const Side s : {Side::left, Side::right}) at(b, s, left_ear).y() = 0.9 * 1.58;
        QVERIFY(near(figure("crown.height", b, Side::left, &stand), 0.9));
    }
    void arms() {
        Body3 b = plain();
        const Vec3 shoulder = at(b, Side::left, left_shoulder), down = (at(b, Side::left, left_hip) - shoulder).normalized();
        const Vec3 side = down.cross(Vec3(0, 0, 1)).normalized();
        at(b, Side::left, left_elbow) = shoulder + 0.28 * (std::cos(30 * deg) * down + std::sin(30 * deg) * side);
        QVERIFY(near(figure("arm.air", b), 30));
        at(b, Side::left, left_wrist) = at(b, Side::left, left_elbow) + 0.25 * (std::cos(100 * deg) * down + std::sin(100 * deg) * side);
        QVERIFY(near(figure("elbow.flexion", b), 70));
        // A palm that faces up: fingers forward, thumb side outward on the left hand.
        at(b, Side::left, left_wrist) = Vec3(0.2, 1, 0.3);
        at(b, Side::left, left_index) = Vec3(0.22, 1, 0.38);
        at(b, Side::left, left_little) = Vec3(0.18, 1, 0.38);
        const double up = figure("palm", b, Side::left);
        QVERIFY(near(std::abs(up), 90));
        std::swap(at(b, Side::left, left_index), at(b, Side::left, left_little));
        QVERIFY(near(figure("palm", b, Side::left), -up)); // turned over
        at(b, Side::left, left_index) = at(b, Side::left, left_little) =
            Vec3(0.2, 1 + 0.08 * std::sin(40 * deg), 0.3 + 0.08 * std::cos(40 * deg));
        QVERIFY(near(figure("fingers", b, Side::left), 40));
    }
    void heel_share_and_margin_of_a_still_body() {
        Body3 b = plain();
        std::vector<Body3> still(90, b);
        const Measures m = measured(track_of(still, 30));
        // The centre from the table's segments, by hand: shares of the body's mass at points on straight lines.
        const Vec3 c = m.centre[45];
        const double heel = -0.065, ball = heel + 0.72 * 0.26;
        const auto& s = m.series.at("weight.heel.left").samples[45];
        QVERIFY(s.present());
        QVERIFY(near(s.value, (ball - c.z()) / (ball - heel), 1e-3));
        QVERIFY(s.sigma > 0.03); // from one clip it is seldom judged
        const auto& margin = m.series.at("base.margin").samples[45];
        QVERIFY(margin.present());
        // Outline from heel to ball: the half width is half of that, the nearest edge the closer of both.
        const double half = 0.5 * (ball - heel);
        QVERIFY2(near(margin.value, std::min(c.z() - heel, ball - c.z()) / half, 0.02), qPrintable(QString::number(margin.value)));
        QVERIFY(m.series.at("sway.speed").samples[45].value < 1); // does not move at all
    }
    void drift_is_counted_from_where_the_foot_was_set_down() {
        std::vector<Body3> bodies;
        for (int i = 0; i < 120; ++i) {
            Body3 b = plain();
            const double slide = 0.03 * std::clamp((i - 40) / 40.0, 0.0, 1.0);
            for (const Point p : {left_heel, left_toe, left_ankle}) b[p].z() += slide;
            bodies.push_back(b);
        }
        const Measures m = measured(track_of(bodies, 30));
        QVERIFY(near(m.series.at("foot.drift.left").samples[20].value, 0, 0.01));
        QVERIFY2(near(m.series.at("foot.drift.left").samples[110].value, 0.03 / 0.26, 0.01),
                 qPrintable(QString::number(m.series.at("foot.drift.left").samples[110].value)));
        QVERIFY(near(m.series.at("foot.drift.right").samples[110].value, 0, 0.01));
    }
    void a_heel_raise_is_told_with_its_height_and_its_moments() {
        // Both heels up by 6 cm between 1 and 1.5 s, down between 3 and 3.5 s.
        std::vector<Body3> bodies;
        auto smooth = [](double u) {
            u = std::clamp(u, 0.0, 1.0);
            return u * u * (3 - 2 * u);
        };
        for (int i = 0; i < 300; ++i) {
            const double t = i / 60.0, up = 0.06 * (smooth((t - 1) / 0.5) - smooth((t - 3) / 0.5));
            Body3 b = plain();
            for (auto& p : b) p.y() += 0.7 * up;
            for (const Side s : {Side::left, Side::right}) {
                at(b, s, left_heel) = Vec3(at(b, s, left_heel).x(), up, -0.065);
                at(b, s, left_toe).y() = 0;
            }
            bodies.push_back(b);
        }
        const Measures m = measured(track_of(bodies, 60));
        for (const Side s : {Side::left, Side::right}) {
            const auto ups = of_kind(m, EventKind::heel_up, s), downs = of_kind(m, EventKind::heel_down, s),
                       flats = of_kind(m, EventKind::flat, s);
            QCOMPARE(ups.size(), std::size_t{1});
            QCOMPARE(downs.size(), std::size_t{1});
            QCOMPARE(flats.size(), std::size_t{1});
            QVERIFY(ups[0].time_s > 1.0 && ups[0].time_s < 1.3);
            QVERIFY(downs[0].time_s > 3.2 && downs[0].time_s < 3.52);
            QVERIFY(of_kind(m, EventKind::off, s).empty()); // the toes stay
            QVERIFY(near(m.series.at(s == Side::left ? "heel.rise.left" : "heel.rise.right").samples[150].value, 6, 0.1));
        }
        const auto high = of_kind(m, EventKind::high);
        QVERIFY(!high.empty() && high[0].part == Part::hips);
    }
    void taps_pivots_and_slides_are_contacts_of_their_own() {
        // The left foot: on its heel with the toe up 5 cm, turning there; flat; on its ball with the heel up; flat; sliding ahead, flat.
        std::vector<Body3> bodies;
        for (int i = 0; i < 600; ++i) {
            const double t = i / 60.0;
            Body3 b = plain();
            Vec3 &heel = at(b, Side::left, left_heel), &toe = at(b, Side::left, left_toe);
            if (t >= 1 && t < 3) {
                const double turn = 0.3 * (t - 1);
                toe = heel + Vec3(0.26 * std::sin(turn), 0.05, 0.25 * std::cos(turn));
            } else if (t >= 4 && t < 6) {
                heel.y() = 0.05;
            } else if (t >= 7 && t < 8) {
                for (const Point p : {left_heel, left_toe, left_ankle, left_knee}) at(b, Side::left, p).z() += 0.2 * (t - 7);
            } else if (t >= 8) {
                for (const Point p : {left_heel, left_toe, left_ankle, left_knee}) at(b, Side::left, p).z() += 0.2;
            }
            bodies.push_back(b);
        }
        const Measures m = measured(track_of(bodies, 60));
        auto state = [&](double t) { return m.contact[0][static_cast<std::size_t>(t * 60)]; };
        QCOMPARE(state(0.5), Contact::flat);
        QCOMPARE(state(2), Contact::heel);
        QCOMPARE(state(3.5), Contact::flat);
        QCOMPARE(state(5), Contact::toe);
        QCOMPARE(state(7.5), Contact::flat); // it slides, and its drift tells so
        QVERIFY(m.series.at("foot.drift.left").samples[540].value > 0.6);
        for (const auto c : m.contact[1]) QCOMPARE(c, Contact::flat);
        for (const auto& e : of_kind(m, EventKind::flat)) QVERIFY(e.sigma_s > 0 && e.sigma_s < 0.1);
    }
    void marked_points_tell_the_back_and_marks_the_breath() {
        // Standing, then rounding the upper back by 20 degrees and hollowing the low back by 8, turned by 40 degrees in the room.
        Track t = track_of(std::vector<Body3>(240, plain()), 30);
        const Eigen::Matrix3d turn = Eigen::AngleAxisd(0.7, Vec3(0, 1, 0)).toRotationMatrix();
        for (std::size_t f = 0; f < 240; ++f) {
            for (auto& p : *t.m[f]) p = turn * p;
            const double u = std::clamp((static_cast<double>(f) / 30 - 3) / 2, 0.0, 1.0), up = (5 + 20 * u) * deg, low = (3 + 8 * u) * deg;
            // Slopes going up: tail to low back leans forward by `low`, the middle is upright, then forward by `up`.
            const Vec3 tail_at(0, 0.95, -0.1), low_at = tail_at + 0.12 * Vec3(0, std::cos(low), std::sin(low)),
                                               mid_at = low_at + Vec3(0, 0.18, 0),
                                               c7_at = mid_at + 0.25 * Vec3(0, std::cos(up), std::sin(up));
            ExtraPoints e;
            e[tail] = turn * tail_at, e[low_back] = turn * low_at, e[mid_back] = turn * mid_at, e[c7] = turn * c7_at;
            t.layers.extra.emplace_back(static_cast<std::uint32_t>(f), e);
        }
        const Measures m = measured(t);
        const auto &upper = m.series.at("back.upper").samples, &lower = m.series.at("back.lower").samples;
        QVERIFY(near(upper[20].value, 0, 0.2) && near(lower[20].value, 0, 0.2));
        QVERIFY2(near(upper[220].value, 20, 0.5), qPrintable(QString::number(upper[220].value)));
        QVERIFY2(near(lower[220].value, 8, 0.5), qPrintable(QString::number(lower[220].value)));
        QVERIFY(upper[220].sigma > 1 && upper[220].sigma < 6);
        QVERIFY(!of_kind(m, EventKind::roll_onset).empty());
        // Without marks both are absent and say so.
        const Measures bare = measured(track_of(std::vector<Body3>(60, plain()), 30));
        QCOMPARE(bare.series.at("back.upper").absent_throughout(), std::optional(Absent::not_marked));
        QCOMPARE(bare.series.at("breath.lag").absent_throughout(), std::optional(Absent::not_marked));
        // Hips rise from 2 s to 4 s; the in-breath is marked 0.4 s after the rise begins.
        std::vector<Body3> bodies;
        for (int i = 0; i < 240; ++i) {
            Body3 b = plain();
            const double sink = 0.06 * (1 + std::cos(3.14159265 * (i / 30.0 - 4) / 2)) / 2;
            for (int p = 0; p < point_count; ++p)
                if (p != left_heel && p != right_heel && p != left_toe && p != right_toe) b[static_cast<std::size_t>(p)].y() -= sink;
            bodies.push_back(b);
        }
        Track breathing = track_of(bodies, 30);
        breathing.layers.breaths = {{4.4, true}, {6.4, false}};
        const Measures with = measured(breathing);
        QCOMPARE(of_kind(with, EventKind::breath_in).size(), std::size_t{1});
        const auto& lag = with.series.at("breath.lag").samples;
        QVERIFY2(near(lag[150].value, 0.4, 0.1), qPrintable(QString::number(lag[150].value)));
        QVERIFY(!lag[30].present());
    }
    void contacts_hold_through_noise() {
        sim::TakeOptions o = sim::take_of(31, 1.7);
        o.student.score.repetitions = 1;
        o.phone.fps = 60;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        for (const double noise : {0.0, 0.006, 0.012}) {
            Track t = test::room_track(take);
            Rng rng(5);
            for (auto& f : t.m)
                for (auto& p : *f) p += noise * Vec3(rng.gauss(), rng.gauss(), rng.gauss());
            const Measures m = measured(t);
            int found = 0;
            for (const auto& truth : test::flat_truth(take)) {
                const auto all = of_kind(m, EventKind::flat, truth.side);
                const auto best = std::min_element(all.begin(), all.end(), [&](const Event& a, const Event& b) {
                    return std::abs(a.time_s - truth.flat_s) < std::abs(b.time_s - truth.flat_s);
                });
                if (best != all.end() && std::abs(best->time_s - truth.flat_s) < 0.05 + 2.5 * best->sigma_s) ++found;
            }
            QVERIFY2(found == static_cast<int>(test::flat_truth(take).size()),
                     qPrintable(QStringLiteral("noise %1: %2").arg(noise).arg(found)));
            QVERIFY(of_kind(m, EventKind::flat).size() <= test::flat_truth(take).size() + 2);
        }
    }
    void events_come_in_order_with_their_sigma() {
        sim::TakeOptions o = sim::take_of(32, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const Measures m = measured(test::room_track(take));
        double last = -1;
        for (const auto& e : m.events) {
            QVERIFY(e.time_s >= last);
            QVERIFY(e.sigma_s > 0 || e.kind == EventKind::stop);
            last = e.time_s;
        }
        for (const EventKind k : {EventKind::shift_onset, EventKind::shift_start, EventKind::shift_end, EventKind::turn_onset,
                                  EventKind::turn_end, EventKind::hand_stop})
            QVERIFY2(!of_kind(m, k).empty(), std::string(event_name(k)).c_str());
        // A turn of the shoulders begins before it ends, and takes less than the clip.
        const auto on = of_kind(m, EventKind::turn_onset), off = of_kind(m, EventKind::turn_end);
        QCOMPARE(on.size(), off.size());
        // Weight goes to the side the event names.
        for (const auto& s : m.shifts) QVERIFY(s.onset_s <= s.start_s && s.start_s <= s.end_s);
    }
    void overshoot_and_way_back_are_no_part_of_a_shift() {
        std::vector<double> t, y;
        auto ease = [](double u) {
            u = std::clamp(u, 0.0, 1.0);
            return u * u * u * (10 - 15 * u + 6 * u * u);
        };
        for (int i = 0; i < 720; ++i) {
            const double s = i / 60.0;
            t.push_back(s);
            // Over by a quarter, back to where it stays, and much later home again.
            y.push_back(0.1 + 0.8 * ease((s - 2) / 1.5) - 0.17 * ease((s - 3.6) / 0.8) - 0.63 * ease((s - 8) / 2));
        }
        const auto shifts = find_shifts(t, y, 0);
        QVERIFY(shifts.size() >= 2);
        QVERIFY2(near(shifts[0].start_s, 2 + 1.5 * 0.2475, 0.05), qPrintable(QString::number(shifts[0].start_s)));
        QVERIFY2(near(shifts[0].end_s, 2 + 1.5 * 0.7525, 0.05), qPrintable(QString::number(shifts[0].end_s)));
        QVERIFY(near(shifts[0].to, 0.9, 0.03));
        QVERIFY(near(shifts.back().start_s, 8 + 2 * 0.2475, 0.06));
        QVERIFY(shifts.back().to < shifts.back().from);
        for (const auto& s : shifts) QVERIFY(s.stop_s < 0.1);
    }
    void a_halt_is_found_and_measured_at_every_tempo() {
        auto ease = [](double u) {
            u = std::clamp(u, 0.0, 1.0);
            return u * u * u * (10 - 15 * u + 6 * u * u);
        };
        for (const double tempo : {0.4, 1.0, 4.0})
            for (const bool up : {true, false}) {
                std::vector<double> t, y;
                for (int i = 0; i < 1500; ++i) {
                    const double s = i / 60.0;
                    t.push_back(s);
                    const double half = 1.0 * tempo, halt = 1.2;
                    const double v = 0.4 * ease((s - 3) / half) + 0.4 * ease((s - 3 - half - halt) / half);
                    y.push_back(up ? 0.1 + v : 0.9 - v);
                }
                const auto shifts = find_shifts(t, y, 0);
                QCOMPARE(shifts.size(), std::size_t{1});
                QCOMPARE(shifts[0].to > shifts[0].from, up);
                QVERIFY2(shifts[0].stop_s > 1.0 && shifts[0].stop_s < 1.3 + 0.5 * tempo,
                         qPrintable(QStringLiteral("tempo %1: halt %2").arg(tempo).arg(shifts[0].stop_s)));
                QCOMPARE(shifts[0].peaks, 2);
            }
    }
};
QTEST_GUILESS_MAIN(TestEvidence)
#include "test_evidence.moc"
