#include "support/wrong.h"
#include "core/movement/astray.h"
#include "support/altered.h"
#include <algorithm>
#include <cmath>

namespace bevel::test {
namespace {

constexpr double rad = 0.017453292519943295, ramp_s = 0.4;

/// Moves a body at a moment; `share` is 0 before the first phase and grows to 1 in the way into it.
using Move = std::function<void(Body3&, double facing, double share, double t)>;

std::function<void(Track&, const sim::Truth&)> throughout(const Move& move) {
    return [move](Track& t, const sim::Truth& truth) {
        const double from = truth.phases.front().start_s, to = truth.phases.back().end_s;
        for (std::size_t f = 0; f < t.frames(); ++f) {
            const double in =
                std::clamp((t.time_s[f] - from) / ramp_s + 1, 0.0, 1.0) * std::clamp((to - t.time_s[f]) / ramp_s + 1, 0.0, 1.0);
            if (t.m[f] && in > 0) move(*t.m[f], truth.facing[f], in, t.time_s[f]);
        }
    };
}
/// The same in phases of these roles only, growing in and dying away.
std::function<void(Track&, const sim::Truth&)> in_roles(const Movement& m, const std::set<std::string>& roles, const Move& move) {
    std::set<std::string> ids;
    for (const auto& p : m.phases)
        if (roles.contains(p.role)) ids.insert(p.id);
    return [ids, move](Track& t, const sim::Truth& truth) {
        for (const auto& s : truth.phases) {
            if (!ids.contains(s.id)) continue;
            const double ramp = std::min(ramp_s, 0.3 * (s.end_s - s.start_s));
            for (std::size_t f = 0; f < t.frames(); ++f) {
                const double in = std::clamp(std::min(t.time_s[f] - s.start_s, s.end_s - t.time_s[f]) / ramp, 0.0, 1.0);
                if (t.m[f] && in > 0) move(*t.m[f], truth.facing[f], in, t.time_s[f] - s.start_s);
            }
        }
    };
}

Vec3 left_of(double facing) {
    return {std::cos(facing), 0, -std::sin(facing)};
}
Vec3 ahead_of(double facing) {
    return {std::sin(facing), 0, std::cos(facing)};
}
void about(Body3& b, std::initializer_list<Point> left_points, const Vec3& centre, const Vec3& axis, double degrees) {
    const Eigen::Matrix3d r = Eigen::AngleAxisd(degrees * rad, axis).toRotationMatrix();
    for (const Point p : left_points)
        for (const Point q : {p, mirrored(p)}) b[q] = centre + r * (b[q] - centre);
}
const std::initializer_list<Point> above_knees{left_hip,   left_shoulder, left_elbow, left_wrist, left_thumb,
                                               left_index, left_little,   left_ear,   left_eye},
    hand{left_wrist, left_thumb, left_index, left_little};
void shift(Body3& b, std::initializer_list<Point> left_points, bool with_nose, const Vec3& by) {
    for (const Point p : left_points)
        for (const Point q : {p, mirrored(p)}) b[q] += by;
    if (with_nose) b[nose] += by;
}
/// Both elbows so far along the bisector of their arm that it is nearly straight.
void lock_elbow(Body3& b, Side s, double share) {
    const Vec3 &shoulder = b[on(s, left_shoulder)], &wrist = b[on(s, left_wrist)];
    Vec3& elbow = b[on(s, left_elbow)];
    // The hand goes out along the line from the shoulder until the arm is straight.
    const double upper = (elbow - shoulder).norm(), fore = (wrist - elbow).norm();
    const Vec3 line = (wrist - shoulder).normalized(), reached = shoulder + (upper + fore) * line;
    const Vec3 by = share * (reached - wrist);
    for (const Point p : hand) b[on(s, p)] += by;
    elbow += share * (shoulder + upper * line - elbow);
}
/// Hands as they are so much earlier or later.
std::function<void(Track&, const sim::Truth&)> hands_later(double seconds) {
    return [seconds](Track& t, const sim::Truth& truth) {
        for (std::size_t f = 0; f < t.frames(); ++f) {
            const double at = t.time_s[f] - seconds;
            const auto k = std::min<std::size_t>(
                static_cast<std::size_t>(std::lower_bound(truth.time_s.begin(), truth.time_s.end(), at) - truth.time_s.begin()),
                t.frames() - 1);
            // Against the middle of the shoulders, which stay as they are.
            const Body3& other = truth.points[k];
            for (const Point p : {left_elbow, left_wrist, left_thumb, left_index, left_little})
                for (const Point q : {p, mirrored(p)}) (*t.m[f])[q] = mid(*t.m[f], left_shoulder) + (other[q] - mid(other, left_shoulder));
        }
    };
}
/// Breath marks where the phases begin a breath, so much later, the out-breath so long a share of its time.
std::function<void(Track&, const sim::Truth&)> breathing(const Movement& m, double late_s, double out_share) {
    return [m, late_s, out_share](Track& t, const sim::Truth& truth) {
        Breath last = Breath::free;
        std::vector<BreathMark> all;
        for (const auto& s : truth.phases)
            for (const auto& p : m.phases)
                if (p.id == s.id && p.breath != Breath::free && p.breath != last) {
                    all.push_back({s.start_s + late_s, p.breath == Breath::in});
                    last = p.breath;
                }
        // A breath in that begins before its time makes the one out shorter.
        for (std::size_t k = 1; k < all.size(); ++k)
            if (all[k].in && !all[k - 1].in) all[k].time_s = all[k - 1].time_s + out_share * (all[k].time_s - all[k - 1].time_s);
        t.layers.breaths = all;
    };
}

struct Sim {
    sim::Fault fault;
    double size;
    std::optional<Side> side;
    const char* id;
};
const Sim sims[] = {{sim::Fault::stance_narrow, 0.5, {}, "stance_narrow=0.5"},
                    {sim::Fault::stance_wide, 0.6, {}, "stance_wide=0.6"},
                    {sim::Fault::knee_in, 18, {}, "knee_in=18"},
                    {sim::Fault::knee_past_toe, 16, {}, "knee_past_toe=16"},
                    {sim::Fault::knee_locked, 9, {}, "knee_locked=9"},
                    {sim::Fault::early_weight, 1.6, {}, "early_weight=1.6"},
                    {sim::Fault::early_weight, 0.8, {}, "early_weight=0.8"},
                    {sim::Fault::shift_incomplete, 0.3, {}, "shift_incomplete=0.3"},
                    {sim::Fault::lean_forward, 20, {}, "lean_forward=20"},
                    {sim::Fault::lean_side, 13, Side::left, "lean_side.left=13"},
                    {sim::Fault::lean_side, 13, Side::right, "lean_side.right=13"},
                    {sim::Fault::head_forward, 10, {}, "head_forward=10"},
                    {sim::Fault::turn_gap, 35, {}, "turn_gap=35"},
                    {sim::Fault::hurried_shift, 0.7, {}, "hurried_shift=0.7"},
                    {sim::Fault::halting_shift, 1.5, {}, "halting_shift=1.5"},
                    {sim::Fault::hips_turn_foot_off, 30, {}, "hips_turn_foot_off=30"}};

} // namespace

Wrong as_asked(const Movement& movement) {
    Wrong w{"as asked", sim::take_of(51, 1.68), movement, {}};
    w.take.student.score.repetitions = 2;
    w.after = breathing(movement, 0, 1);
    return w;
}

namespace {
std::vector<Wrong> every_way(const Movement& m) {
    std::vector<Wrong> out;
    const Wrong plain = as_asked(m);
    auto way = [&](std::string id) -> Wrong& {
        out.push_back(plain);
        out.back().id = std::move(id);
        return out.back();
    };
    auto points = [&](std::string id, const Move& move) { way("points " + id).after = throughout(move); };
    auto done = [&](std::string id, const auto& change) { change(way("done " + id).done); };

    for (const auto& s : sims) way(s.id).take.student.faults = {{s.fault, s.size, s.side}};
    { way("stand_knee=-4").take.student.stand_knee = -4.0; }
    { way("stand_lean=-12").take.student.stand_lean = -12; }
    { way("toe_out=45").take.student.toe_out = 45; }
    { way("toe_out=-35").take.student.toe_out = -35; }
    { way("tempo_spread=0.9").take.student.tempo_spread = 0.9; }
    { way("tempo_spread=0.9, three times").take.student.tempo_spread = 0.9, out.back().take.student.score.repetitions = 3; }
    for (const auto& c : m.checks)
        for (const bool high : {false, true}) {
            if (!(high ? c.high : c.low)) continue;
            const double band = c.low && c.high ? *c.high - *c.low : std::max(4 * c.matters, std::abs(c.low.value_or(c.high.value_or(0))));
            if (auto other = astray(m, c, high, 1.5 * band)) {
                Wrong& w = way("astray " + c.id + (high ? " high" : " low"));
                w.done = std::move(*other);
                if (c.measure.starts_with("back.")) w.take.marks = sim::TakeOptions::Marks::metres;
            }
        }
    for (const auto& a : alterations())
        for (const double sign : {1.0, -1.0}) {
            const auto* alteration = &a;
            points(std::string(a.id) + (sign > 0 ? "" : " the other way"), [alteration, sign](Body3& b, double facing, double in, double) {
                alteration->apply(b, facing, sign * in * alteration->size);
            });
        }
    points("elbows locked", [](Body3& b, double, double in, double) { lock_elbow(b, Side::left, in), lock_elbow(b, Side::right, in); });
    points("elbows up", [](Body3& b, double, double in, double) { shift(b, {left_elbow}, false, Vec3(0, 0.16 * in, 0)); });
    points("arms pressed", [](Body3& b, double, double in, double) {
        for (const Side s : {Side::left, Side::right}) {
            const Vec3 trunk = b[on(s, left_hip)] - b[on(s, left_shoulder)];
            Vec3& elbow = b[on(s, left_elbow)];
            const double upper = (elbow - b[on(s, left_shoulder)]).norm();
            elbow += in * (b[on(s, left_shoulder)] + upper * trunk.normalized() - elbow);
        }
    });
    points("one hand lower", [](Body3& b, double, double in, double) {
        for (const Point p : hand) b[mirrored(p)].y() -= 0.3 * in;
    });
    points("feet slide", [](Body3& b, double f, double in, double t) {
        for (const Point p : {left_ankle, left_heel, left_toe}) b[p] += 0.18 * in * std::sin(1.2 * t) * left_of(f);
    });
    points("heels up", [](Body3& b, double, double in, double) {
        for (const Point p : {left_heel, right_heel}) b[p].y() += 0.07 * in;
        for (const Point p : {left_ankle, right_ankle}) b[p].y() += 0.05 * in;
    });
    points("hips tip left", [](Body3& b, double, double in, double) { b[left_hip].y() += 0.02 * in, b[right_hip].y() -= 0.02 * in; });
    points("hips tip right", [](Body3& b, double, double in, double) { b[left_hip].y() -= 0.02 * in, b[right_hip].y() += 0.02 * in; });
    points("body ahead of the feet", [](Body3& b, double f, double in, double) {
        shift(b, above_knees, true, 0.3 * in * ahead_of(f));
        shift(b, {left_knee}, false, 0.12 * in * ahead_of(f));
    });
    points("bears to the left", [](Body3& b, double, double, double t) {
        const Eigen::Matrix3d r = Eigen::AngleAxisd(3 * t * rad, Vec3(0, 1, 0)).toRotationMatrix();
        for (auto& p : b) p = r * p;
    });
    points("bears to the right", [](Body3& b, double, double, double t) {
        const Eigen::Matrix3d r = Eigen::AngleAxisd(-3 * t * rad, Vec3(0, 1, 0)).toRotationMatrix();
        for (auto& p : b) p = r * p;
    });
    way("points knees follow the turn").after =
        in_roles(m, {"turn", "swing"}, [](Body3& b, double f, double in, double) { shift(b, {left_knee}, false, 0.14 * in * left_of(f)); });
    for (const double sign : {1.0, -1.0})
        way(sign > 0 ? "points pelvis twists left" : "points pelvis twists right").after =
            in_roles(m, {"turn", "swing", "transfer", "return", "pivot"}, [sign](Body3& b, double, double in, double) {
                about(b, above_knees, mid(b, left_hip), Vec3(0, 1, 0), sign * 40 * in);
                b[nose] = mid(b, left_hip) +
                          Eigen::AngleAxisd(sign * 40 * in * rad, Vec3(0, 1, 0)).toRotationMatrix() * (b[nose] - mid(b, left_hip));
            });
    way("points bend aside and twist").after =
        in_roles(m, {"bend", "hold", "turn", "swing", "settle"}, [](Body3& b, double f, double in, double) {
            about(b, {left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little, left_ear, left_eye}, mid(b, left_hip),
                  ahead_of(f), -24 * in);
            about(b, {left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little, left_ear, left_eye}, mid(b, left_hip),
                  Vec3(0, 1, 0), 34 * in);
        });
    for (const double sign : {1.0, -1.0})
        way(sign > 0 ? "points loaded feet turn" : "points loaded feet turn the other way").after =
            in_roles(m, {"turn", "swing", "transfer", "return", "settle", "strike"}, [sign](Body3& b, double, double in, double) {
                for (const Side s : {Side::left, Side::right}) {
                    const Vec3 ankle = b[on(s, left_ankle)];
                    const Eigen::Matrix3d r = Eigen::AngleAxisd(sign * 40 * in * rad, Vec3(0, 1, 0)).toRotationMatrix();
                    for (const Point p : {left_heel, left_toe}) b[on(s, p)] = ankle + r * (b[on(s, p)] - ankle);
                }
            });
    // Of the leading side: to the left in a repetition that leads left.
    auto as_led = [&](const char* id, std::set<std::string> roles,
                      const std::function<void(Body3&, double facing, double share, double sign)>& move) {
        std::set<std::string> ids;
        for (const auto& p : m.phases)
            if (roles.empty() || roles.contains(p.role)) ids.insert(p.id);
        way(std::string("points ") + id).after = [ids, move](Track& t, const sim::Truth& truth) {
            for (const auto& s : truth.phases) {
                if (!ids.contains(s.id)) continue;
                const double ramp = std::min(ramp_s, 0.3 * (s.end_s - s.start_s));
                for (std::size_t f = 0; f < t.frames(); ++f) {
                    const double in = std::clamp(std::min(t.time_s[f] - s.start_s, s.end_s - t.time_s[f]) / ramp, 0.0, 1.0);
                    if (t.m[f] && in > 0) move(*t.m[f], truth.facing[f], in, s.side == Side::left ? 1 : -1);
                }
            }
        };
    };
    for (const double way_on : {1.0, -1.0}) {
        as_led(way_on > 0 ? "eyes run ahead" : "eyes stay behind", {"turn"}, [way_on](Body3& b, double, double in, double sign) {
            const Vec3 centre = mid(b, left_ear);
            about(b, {left_ear, left_eye}, centre, Vec3(0, 1, 0), sign * way_on * 45 * in);
            b[nose] = centre + Eigen::AngleAxisd(sign * way_on * 45 * in * rad, Vec3(0, 1, 0)).toRotationMatrix() * (b[nose] - centre);
        });
        points(way_on > 0 ? "the tool turned to the left" : "the tool turned to the right",
               [way_on](Body3& b, double, double in, double) { about(b, hand, mid(b, left_wrist), Vec3(0, 1, 0), way_on * 30 * in); });
    }
    points("the tool against the body", [](Body3& b, double facing, double in, double) {
        const double ahead = (mid(b, left_wrist) - mid(b, left_hip)).dot(ahead_of(facing));
        shift(b, hand, false, -in * (ahead - 0.02) * ahead_of(facing));
    });
    {
        // Four swings to each side; the fourth of the eight is hardly one.
        Wrong& w = way("a swing breaks off");
        w.take.student.score.repetitions = 4;
        w.after = [](Track& t, const sim::Truth& truth) {
            for (const auto& s : truth.phases) {
                if (s.repetition != 3) continue;
                const Body3& first = truth.points[static_cast<std::size_t>(
                    std::lower_bound(truth.time_s.begin(), truth.time_s.end(), s.start_s) - truth.time_s.begin())];
                auto turned = [](const Body3& b) {
                    const Vec3 v = b[left_shoulder] - b[right_shoulder];
                    return std::atan2(-v.z(), v.x());
                };
                for (std::size_t f = 0; f < t.frames(); ++f) {
                    if (t.time_s[f] < s.start_s || t.time_s[f] >= s.end_s) continue;
                    const double back = -0.6 * (turned(*t.m[f]) - turned(s.id == truth.phases.front().id ? first : truth.points.front()));
                    about(*t.m[f], {left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little, left_ear, left_eye},
                          mid(*t.m[f], left_hip), Vec3(0, 1, 0), back / rad);
                }
            }
        };
    }
    way("points hands late").after = hands_later(0.9);
    way("points hands early").after = hands_later(-0.9);
    for (const double seconds : {1.0, -1.0})
        way(seconds > 0 ? "points waist early" : "points waist late").after = [seconds](Track& t, const sim::Truth& truth) {
            auto turned = [](const Body3& b) {
                const Vec3 v = b[left_hip] - b[right_hip];
                return std::atan2(-v.z(), v.x());
            };
            for (std::size_t f = 0; f < t.frames(); ++f) {
                const auto k = std::lower_bound(truth.time_s.begin(), truth.time_s.end(), t.time_s[f] + seconds) - truth.time_s.begin();
                const double by =
                    turned(truth.points[std::min<std::size_t>(static_cast<std::size_t>(k), t.frames() - 1)]) - turned(truth.points[f]);
                Body3& b = *t.m[f];
                const Vec3 centre = mid(b, left_hip);
                about(b, {left_hip, left_shoulder, left_ear, left_eye}, centre, Vec3(0, 1, 0), by / rad); // the arms stay in time
                b[nose] = centre + Eigen::AngleAxisd(by, Vec3(0, 1, 0)).toRotationMatrix() * (b[nose] - centre);
            }
        };
    way("breath late").after = breathing(m, 1.2, 1);
    way("breath early").after = breathing(m, -1.2, 1);
    way("breath out short").after = breathing(m, 0, 0.4);

    done("lands on the toes", [](Movement& d) {
        for (auto& p : d.phases)
            if (p.posture.left_foot.contact == Contact::heel) p.posture.left_foot.contact = Contact::toe;
    });
    done("lands on the heel", [](Movement& d) {
        for (auto& p : d.phases)
            if ((p.role == "reach" || p.role == "land") && p.posture.left_foot.contact == Contact::toe)
                p.posture.left_foot.contact = Contact::heel;
    });
    done("leaves toes first", [](Movement& d) {
        for (std::size_t k = 0; k + 1 < d.phases.size(); ++k)
            if (d.phases[k + 1].role == "lift" || d.phases[k + 1].role == "unweight") d.phases[k].posture.left_foot.contact = Contact::heel;
        for (auto& p : d.phases)
            if ((p.role == "lift" || p.role == "unweight") && p.posture.left_foot.contact == Contact::toe)
                p.posture.left_foot.contact = Contact::heel;
    });
    done("comes back elsewhere",
         [](Movement& d) { d.phases.back().posture.left_foot.z += 0.6, d.phases.back().posture.left_foot.x += 0.3; });
    done("turns early", [](Movement& d) {
        for (std::size_t k = 0; k + 1 < d.phases.size(); ++k)
            d.phases[k].posture.pelvis_turn = d.phases[k + 1].posture.pelvis_turn,
            d.phases[k].posture.shoulder_turn = d.phases[k + 1].posture.shoulder_turn;
    });
    done("bends with straight knees", [](Movement& d) {
        for (auto& p : d.phases)
            if (p.posture.lean > 25 || p.role == "bend") p.posture.depth = 1;
    });
    out.back().take.student.stand_knee = 0;
    done("sinks half as far", [](Movement& d) {
        for (auto& p : d.phases)
            if (p.role == "sink") p.posture.depth = std::min(0.99, p.posture.depth + 0.11);
    });
    done("steps too far", [](Movement& d) {
        for (auto& p : d.phases)
            for (FootTarget* f : {&p.posture.left_foot, &p.posture.right_foot})
                if (f->z > 0.4) f->z *= 1.32;
    });
    done("back foot open", [](Movement& d) {
        for (auto& p : d.phases) p.posture.right_foot.toe_out += 45;
        d.home.right_foot.toe_out += 45;
    });
    for (const double by : {70.0, -70.0})
        done(by > 0 ? "palms turned out" : "palms turned in", [by](Movement& d) {
            for (auto& p : d.phases) p.posture.left_hand.palm += by, p.posture.right_hand.palm += by;
        });
    points("knees straight", [](Body3& b, double, double in, double) {
        for (const Side side : {Side::left, Side::right}) {
            const Vec3 &hip = b[on(side, left_hip)], &ankle = b[on(side, left_ankle)];
            Vec3& knee = b[on(side, left_knee)];
            const Vec3 line = ankle - hip;
            knee += 0.93 * in * (hip + (knee - hip).dot(line) / line.squaredNorm() * line - knee);
        }
    });
    way("points leaves toes first").after = [m](Track& t, const sim::Truth& truth) {
        for (const auto& s : truth.phases) {
            const auto p = std::find_if(m.phases.begin(), m.phases.end(), [&](const Phase& x) { return x.id == s.id; });
            if (p == m.phases.end() || (p->role != "lift" && p->role != "unweight")) continue;
            for (std::size_t f = 0; f < t.frames(); ++f) {
                const double in = std::clamp((t.time_s[f] - s.start_s + 1.1) / 0.3, 0.0, 1.0) *
                                  std::clamp((s.start_s + 0.9 - t.time_s[f]) / 0.3, 0.0, 1.0);
                if (in <= 0) continue;
                auto height = [&](Point point, double later) {
                    const auto k = std::lower_bound(truth.time_s.begin(), truth.time_s.end(), t.time_s[f] - later) - truth.time_s.begin();
                    return truth.points[std::min<std::size_t>(static_cast<std::size_t>(k), t.frames() - 1)][point].y();
                };
                for (const auto& [point, later] : {std::pair{on(s.side, left_heel), 0.5}, {on(s.side, left_toe), -0.5}})
                    (*t.m[f])[point].y() += in * (height(point, later) - (*t.m[f])[point].y());
            }
        }
    };
    done("rolls from the top", [](Movement& d) {
        for (auto& p : d.phases)
            if (p.role == "roll") std::swap(p.posture.low_back, p.posture.upper_back);
    });
    out.back().take.marks = sim::TakeOptions::Marks::metres;
    done("rolls the neck early", [](Movement& d) {
        for (std::size_t k = 0; k + 1 < d.phases.size(); ++k) d.phases[k].posture.neck = d.phases.back().posture.neck;
    });
    out.back().take.marks = sim::TakeOptions::Marks::metres;
    done("weight to the left", [](Movement& d) {
        for (auto& p : d.phases) p.posture.weight_left = std::min(1.0, p.posture.weight_left + 0.2);
    });
    done("weight to the right", [](Movement& d) {
        for (auto& p : d.phases) p.posture.weight_left = std::max(0.0, p.posture.weight_left - 0.2);
    });
    done("on the toes", [](Movement& d) {
        for (auto& p : d.phases) p.posture.forward += 0.3;
    });
    done("on the heels", [](Movement& d) {
        for (auto& p : d.phases) p.posture.forward -= 0.3;
    });
    done("deep", [](Movement& d) {
        for (auto& p : d.phases) p.posture.depth -= 0.3;
    });
    done("high", [](Movement& d) {
        for (auto& p : d.phases) p.posture.depth = std::min(1.0, p.posture.depth + 0.12);
    });
    done("hands nearer on the tool", [](Movement& d) {
        for (auto& p : d.phases) p.posture.left_hand.x *= 0.6, p.posture.right_hand.x *= 0.6;
    });
    done("hands farther on the tool", [](Movement& d) {
        for (auto& p : d.phases) p.posture.left_hand.x *= 1.4, p.posture.right_hand.x *= 1.4;
    });
    for (const auto& [id, change] : {std::pair<const char*, void (*)(Posture&)>{"height", [](Posture& p) { p.depth -= 0.09; }},
                                     {"lean", [](Posture& p) { p.lean += 14; }},
                                     {"hands", [](Posture& p) { p.left_hand.y -= 0.45, p.right_hand.y -= 0.45; }},
                                     {"weight", [](Posture& p) { p.weight_left += 0.25; }},
                                     {"feet", [](Posture& p) { p.left_foot.x += 0.3; }}})
        done(std::string("a minute's hold, drifting in ") + id, [change = change](Movement& d) {
            for (auto& p : d.phases)
                if (p.role == "hold") p.duration_s = 60, p.ease = Ease::flow, change(p.posture);
        });
    {
        BandChange planned;
        planned.check = "hold_length";
        planned.low = 40;
        way("a hold shorter than planned").agreed = {planned};
        planned.low.reset();
        planned.high = 2;
        way("a hold longer than planned").agreed = {planned};
    }
    // Bands that a student or a school sets where the rule has none.
    const auto agreed = [&](const char* id, const char* check, std::optional<double> low, std::optional<double> high) -> Wrong& {
        BandChange c;
        c.check = check, c.low = low, c.high = high;
        Wrong& w = way(id);
        w.agreed = {c};
        return w;
    };
    agreed("heels lower than planned", "heel_raise", 14, {});
    agreed("heels higher than planned", "heel_raise", {}, 2);
    agreed("a pause on top shorter than planned", "heel_pause", 6, {});
    agreed("a pause on top longer than planned", "heel_pause", {}, 0.2);
    for (const bool heel : {true, false}) {
        Wrong& w = heel ? agreed("a side step on the heel, asked on the ball", "side_step", {}, 0)
                        : agreed("a side step on the ball, asked on the heel", "side_step", 0, {});
        for (auto& p : w.done.phases)
            if (p.role == "reach") p.posture.left_foot.contact = heel ? Contact::heel : Contact::toe;
    }
    {
        Wrong& w = way("halts");
        w.after = [](Track& t, const sim::Truth& truth) {
            // Held still for two seconds in the middle of each repetition.
            Track slow;
            double later = 0;
            int next = 0;
            for (std::size_t f = 0; f < t.frames(); ++f) {
                double from = 1e9, to = -1e9;
                for (const auto& s : truth.phases)
                    if (s.repetition == next) from = std::min(from, s.start_s), to = std::max(to, s.end_s);
                slow.time_s.push_back(t.time_s[f] + later);
                slow.m.push_back(t.m[f]);
                slow.px.emplace_back();
                if (to > from && t.time_s[f] > from + 0.45 * (to - from)) {
                    for (int k = 0; k < 50; ++k) {
                        later += 0.04;
                        slow.time_s.push_back(t.time_s[f] + later);
                        slow.m.push_back(t.m[f]);
                        slow.px.emplace_back();
                    }
                    ++next;
                }
            }
            t = std::move(slow);
        };
    }
    {
        Wrong& w = way("one side more often");
        w.take.student.score.alternate = false;
        w.take.student.score.repetitions = 4;
        double end = 0;
        for (const auto& s : sim::Take(m, w.take).truth().phases)
            if (s.repetition < 6) end = std::max(end, s.end_s);
        w.take.to_s = end + 0.6;
    }
    // Somebody goes as far as they can: the movement as asked, by one whose ease ends there.
    for (const char* what : {"depth", "twist", "bend"}) {
        Wrong& w = way(std::string("all of the ease: ") + what);
        w.own = [what](const sim::Truth& truth) { return ease_that_is_used(truth, what, 1.0); };
    }
    {
        Wrong& w = way("one side smaller");
        w.after = [](Track& t, const sim::Truth& truth) {
            for (std::size_t f = 0; f < t.frames(); ++f)
                for (const auto& s : truth.phases)
                    if (s.side == Side::right && t.time_s[f] >= s.start_s && t.time_s[f] < s.end_s)
                        for (const Point p : hand) // of what leads, towards the shoulder's height by a half
                            (*t.m[f])[mirrored(p)].y() += 0.5 * ((*t.m[f])[right_hip].y() - (*t.m[f])[mirrored(p)].y());
        };
    }
    return out;
}

/// What changes nothing in this movement is no way of going wrong in it.
bool says_something(const Movement& m, const Wrong& w) {
    auto same = [](const Phase& a, const Phase& b) { return a.posture == b.posture && a.duration_s == b.duration_s; };
    if (w.id.starts_with("done ") && std::equal(m.phases.begin(), m.phases.end(), w.done.phases.begin(), w.done.phases.end(), same))
        return false;
    auto asks = [&](const char* measure) {
        return std::any_of(m.checks.begin(), m.checks.end(), [&](const Check& c) { return c.measure == measure; });
    };
    if (w.id.starts_with("breath ")) return asks("breath.lag");
    if (w.id.find("on the tool") != std::string::npos) return m.tool.has_value();
    if (w.id.starts_with("heels ") || w.id.starts_with("a pause on top")) return asks("heel.pause");
    if (w.id.starts_with("a side step"))
        return std::any_of(m.checks.begin(), m.checks.end(), [](const Check& c) { return c.id == "side_step"; });
    if (w.id.starts_with("points the tool")) return m.tool.has_value();
    if (w.id == "a swing breaks off") return asks("swing.ramp");
    if (w.id.starts_with("a hold ")) return asks("hold.length");
    if (w.id.starts_with("done rolls")) return asks("roll.low_to_upper");
    return true;
}
} // namespace

PersonNeutral ease_that_is_used(const sim::Truth& truth, const std::string& what, double share) {
    double most = 0;
    auto yaw = [](const Vec3& l, const Vec3& r) { return std::atan2(r.z() - l.z(), l.x() - r.x()); };
    for (std::size_t f = 0; f < truth.time_s.size(); ++f) {
        bool asked = false;
        for (const auto& s : truth.phases) asked = asked || (truth.time_s[f] >= s.start_s && truth.time_s[f] < s.end_s);
        if (!asked) continue;
        const Body3 &b = truth.points[f], &first = truth.points.front();
        const double turned = yaw(b[left_shoulder], b[right_shoulder]) - yaw(b[left_hip], b[right_hip]);
        const Vec3 up = 0.5 * (b[left_shoulder] + b[right_shoulder] - b[left_hip] - b[right_hip]);
        const double facing = truth.facing[f], side = up.x() * std::cos(facing) - up.z() * std::sin(facing);
        const double now = what == "depth"   ? 1 - (b[left_hip].y() + b[right_hip].y()) / (first[left_hip].y() + first[right_hip].y())
                           : what == "twist" ? std::abs(std::atan2(std::sin(turned), std::cos(turned))) * 57.29577951
                                             : std::abs(std::atan2(side, up.y())) * 57.29577951;
        most = std::max(most, now);
    }
    PersonNeutral out;
    const Comfort ease{most / share, 0};
    if (what == "depth" && most > 0.05) out.depth = ease;
    if (what == "twist" && most > 5) out.twist = ease;
    if (what == "bend" && most > 5) out.bend = ease;
    return out;
}

std::vector<Wrong> wrong_ways(const Movement& m) {
    auto all = every_way(m);
    std::erase_if(all, [&](const Wrong& w) { return !says_something(m, w); });
    return all;
}

std::optional<Wrong> wrong_way(const Movement& movement, const std::string& id) {
    for (auto& w : wrong_ways(movement))
        if (w.id == id) return w;
    return std::nullopt;
}

std::shared_ptr<const Review> reviewed(const Movement& asked, const Wrong& way) {
    sim::TakeOptions o = way.take;
    for (const auto& n : asked.needs)
        if (n == "tool") o.marks = sim::TakeOptions::Marks::metres;
    const sim::Take take(way.done, o);
    Track t = room_track(take);
    if (way.after) way.after(t, take.truth());
    ReviewOptions ro;
    ro.view = View::three_d;
    ro.stature_m = o.student.stature_m;
    ro.states = way.states;
    ro.adaptations = way.agreed;
    if (way.own) ro.own = way.own(take.truth());
    auto r = make_review(t, asked, ro);
    return r ? *r : nullptr;
}

} // namespace bevel::test
