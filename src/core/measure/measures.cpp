#include "core/measure/measures.h"
#include "core/measure/contact.h"
#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

namespace bevel {
namespace {

using signal::Series;
constexpr double deg = std::numbers::pi / 180;
constexpr std::size_t i(Point p) {
    return static_cast<std::size_t>(p);
}

double outward(Side s) {
    return s == Side::left ? 1 : -1;
}

/// What a frame measure may look at besides the points.
struct Context {
    const Motion& m;
    Side side = Side::left;
    bool has_x() const { return m.has_x; }
    bool has_z() const { return m.has_z; }
    bool full() const { return m.has_x && m.has_z; }
    double sw() const { return m.neutral.shoulder_width; }
};

struct Value {
    double v = 0;
    Absent absent = Absent::none;
    Value(double x) : v(x) {} // NOLINT: a plain number is a present value
    Value(Absent a) : absent(a) {}
};

struct Def {
    const char* id;
    const char* unit;
    bool sided;
    std::vector<Point> points; // left ones for a sided measure; their mirror is added for mid points
    std::function<Value(const Body3&, const Context&)> f;
    bool uses_vertical = false;
    double extra_sigma = 0; // error of the model itself when told from one camera
};

Value knee_flexion(const Body3& b, const Context& c) {
    if (!c.has_z()) return Absent::view;
    const Vec3 &h = b[i(on(c.side, left_hip))], &k = b[i(on(c.side, left_knee))], &a = b[i(on(c.side, left_ankle))];
    const double bend = joint_bend(h, k, a);
    // Forward is where the toes point; a knee behind the line hip-ankle is past straight.
    Vec3 toe = b[i(on(c.side, left_toe))] - b[i(on(c.side, left_heel))];
    toe.y() = 0;
    const double u = (k - h).dot(a - h) / (a - h).squaredNorm();
    const Vec3 off = k - h - u * (a - h);
    return off.dot(toe) < 0 ? -bend : bend;
}

Value knee_inward(const Body3& b, const Context& c) {
    if (!c.has_x()) return Absent::view;
    const Vec3 &h = b[i(on(c.side, left_hip))], &k = b[i(on(c.side, left_knee))], &a = b[i(on(c.side, left_ankle))];
    const Vec2 t(k.x() - h.x(), k.y() - h.y()), l(a.x() - k.x(), a.y() - k.y());
    if (t.norm() < 0.8 * c.m.neutral.thigh) return Absent::foreshortened;
    return outward(c.side) * std::atan2(t.x() * l.y() - t.y() * l.x(), t.dot(l)) / deg;
}

Value knee_ahead(const Body3& b, const Context& c) {
    if (!c.has_z()) return Absent::view;
    const Vec3 &k = b[i(on(c.side, left_knee))], &toe = b[i(on(c.side, left_toe))], &heel = b[i(on(c.side, left_heel))];
    Vec3 line = toe - heel;
    line.y() = 0;
    if (line.norm() < 0.05) return Absent::turned;
    return 100 * (k - toe).dot(line.normalized());
}

Value knee_toe(const Body3& b, const Context& c) {
    if (!c.full()) return Absent::view;
    Vec3 shin = b[i(on(c.side, left_knee))] - b[i(on(c.side, left_ankle))], foot = b[i(on(c.side, left_toe))] - b[i(on(c.side, left_heel))];
    shin.y() = foot.y() = 0;
    if (shin.norm() < 0.08 || shin.dot(foot) <= 0) return Absent::foreshortened; // too short to have a direction, or leaning back
    const double turn = std::atan2(foot.z() * shin.x() - foot.x() * shin.z(), foot.dot(shin)) / deg;
    return -outward(c.side) * turn; // inwards positive
}

Value foot_angle(const Body3& b, const Context& c) {
    if (!c.full()) return Absent::view;
    const Vec3 f = b[i(on(c.side, left_toe))] - b[i(on(c.side, left_heel))];
    return outward(c.side) * std::atan2(f.x(), f.z()) / deg;
}

Value tilt_of(const Body3& b, const Context& c, Point left, double neutral_width) {
    if (!c.has_x()) return Absent::view;
    Vec3 d = b[i(left)] - b[i(mirrored(left))];
    if (!c.full() && std::abs(d.x()) < std::cos(20 * deg) * neutral_width * 0.93) return Absent::turned;
    const double run = c.full() ? std::hypot(d.x(), d.z()) : std::abs(d.x());
    return std::atan2(d.y(), run) / deg;
}

Value turn_of(const Body3& b, const Context& c, Point left, double width) {
    const Vec3 d = b[i(left)] - b[i(mirrored(left))];
    if (c.full()) return std::atan2(-d.z(), d.x()) / deg;
    if (!c.has_z()) return Absent::view;
    // From the side the line of hips or shoulders shows its sine.
    const double s = -d.z() / width;
    if (std::abs(s) > std::sin(50 * deg)) return Absent::turned;
    return std::asin(s) / deg;
}

Value lean(const Body3& b, const Context& c) {
    if (!c.has_z()) return Absent::view;
    const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
    return std::atan2(d.z(), d.y()) / deg;
}

Value side_bend(const Body3& b, const Context& c) {
    if (!c.has_x()) return Absent::view;
    const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
    return std::atan2(d.x(), d.y()) / deg;
}

double plumb_of(const Body3& b, Eigen::Index axis) {
    return 100 * (mid(b, left_ear)[axis] - 0.5 * (foot_centre(b, Side::left)[axis] + foot_centre(b, Side::right)[axis]));
}

std::vector<Def> definitions() {
    const std::vector<Point> leg{left_hip, left_knee, left_ankle};
    const std::vector<Point> trunk{left_hip, right_hip, left_shoulder, right_shoulder};
    std::vector<Def> d;
    d.push_back({"stance.width", "SW", false, {left_ankle, right_ankle}, [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_x()) return Absent::view;
                     return std::abs(b[left_ankle].x() - b[right_ankle].x()) / c.sw();
                 }});
    d.push_back({"stance.length", "SW", false, {left_ankle, right_ankle}, [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_z()) return Absent::view;
                     return std::abs(b[left_ankle].z() - b[right_ankle].z()) / c.sw();
                 }});
    d.push_back({"foot.angle", "deg", true, {left_heel, left_toe}, foot_angle});
    d.push_back({"knee.flexion", "deg", true, leg, knee_flexion, false, 2.0});
    d.push_back({"knee.inward", "deg", true, leg, knee_inward, false, 1.5});
    d.push_back({"knee.ahead", "cm", true, {left_knee, left_toe}, knee_ahead, false, 1.0});
    d.push_back({"knee.toe", "deg", true, {left_knee, left_ankle, left_heel, left_toe}, knee_toe});
    d.push_back({"pelvis.tilt",
                 "deg",
                 false,
                 {left_hip, right_hip},
                 [](const Body3& b, const Context& c) { return tilt_of(b, c, left_hip, 0.1 * c.m.stature); },
                 true});
    d.push_back({"shoulder.tilt",
                 "deg",
                 false,
                 {left_shoulder, right_shoulder},
                 [](const Body3& b, const Context& c) { return tilt_of(b, c, left_shoulder, c.sw()); },
                 true});
    d.push_back({"pelvis.turn",
                 "deg",
                 false,
                 {left_hip, right_hip},
                 [](const Body3& b, const Context& c) { return turn_of(b, c, left_hip, 0.1 * c.m.stature); },
                 false,
                 6});
    d.push_back({"shoulder.turn",
                 "deg",
                 false,
                 {left_shoulder, right_shoulder},
                 [](const Body3& b, const Context& c) { return turn_of(b, c, left_shoulder, c.sw()); },
                 false,
                 6});
    d.push_back({"turn.gap", "deg", false, trunk,
                 [](const Body3& b, const Context& c) -> Value {
                     const Value p = turn_of(b, c, left_hip, 0.1 * c.m.stature), s = turn_of(b, c, left_shoulder, c.sw());
                     if (p.absent != Absent::none) return p;
                     if (s.absent != Absent::none) return s;
                     return std::remainder(s.v - p.v, 360);
                 },
                 false, 8});
    d.push_back({"hip.height", "1", false, {left_hip, right_hip}, [](const Body3& b, const Context& c) -> Value {
                     return mid(b, left_hip).y() / c.m.neutral.hip_height;
                 }});
    d.push_back({"thigh",
                 "deg",
                 true,
                 {left_hip, left_knee},
                 [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_z()) return Absent::view;
                     const Vec3 t = b[i(on(c.side, left_knee))] - b[i(on(c.side, left_hip))];
                     return std::atan2(-t.y(), std::hypot(t.x(), t.z())) / deg;
                 },
                 true});
    d.push_back({"trunk.lean", "deg", false, trunk, lean, true});
    d.push_back({"trunk.side", "deg", false, trunk, side_bend, true});
    d.push_back(
        {"head.offset", "cm", false, {left_ear, right_ear, left_shoulder, right_shoulder}, [](const Body3& b, const Context& c) -> Value {
             if (!c.has_z()) return Absent::view;
             if (c.m.neutral.source == NeutralSource::proportions) return Absent::no_neutral;
             return 100 * (mid(b, left_ear).z() - mid(b, left_shoulder).z() - c.m.neutral.head_offset);
         }});
    d.push_back({"plumb.side",
                 "cm",
                 false,
                 {left_ear, right_ear, left_heel, right_heel, left_toe, right_toe},
                 [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_x()) return Absent::view;
                     return plumb_of(b, 0);
                 },
                 true});
    d.push_back({"plumb.forward",
                 "cm",
                 false,
                 {left_ear, right_ear, left_heel, right_heel, left_toe, right_toe},
                 [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_z()) return Absent::view;
                     return plumb_of(b, 2);
                 },
                 true});
    d.push_back({"shoulder.gap", "1", true, {left_ear, left_shoulder}, [](const Body3& b, const Context& c) -> Value {
                     if (c.m.neutral.source == NeutralSource::proportions) return Absent::no_neutral;
                     return (b[i(on(c.side, left_ear))].y() - b[i(on(c.side, left_shoulder))].y()) / c.m.neutral.ear_shoulder_gap;
                 }});
    d.push_back({"elbow.flexion", "deg", true, {left_shoulder, left_elbow, left_wrist}, [](const Body3& b, const Context& c) -> Value {
                     if (!c.full()) return Absent::view;
                     return joint_bend(b[i(on(c.side, left_shoulder))], b[i(on(c.side, left_elbow))], b[i(on(c.side, left_wrist))]);
                 }});
    d.push_back({"hand.height", "1", true, {left_wrist}, [](const Body3& b, const Context& c) -> Value {
                     return b[i(on(c.side, left_wrist))].y() / c.m.stature;
                 }});
    d.push_back({"hand.centre",
                 "SW",
                 true,
                 {left_wrist, left_shoulder, right_shoulder, left_hip, right_hip},
                 [](const Body3& b, const Context& c) -> Value {
                     if (!c.has_x()) return Absent::view;
                     const double bone = 0.6 * mid(b, left_shoulder).x() + 0.4 * mid(b, left_hip).x();
                     return outward(c.side) * (b[i(on(c.side, left_wrist))].x() - bone) / c.sw();
                 }});
    return d;
}

/// First-order propagation: each point moved by its own sigma along every known axis, effects added in squares.
double propagate(const Def& d, const Body3& b, const Context& c, std::size_t frame, double centre) {
    double sum = 0;
    Body3 moved = b;
    const auto& s = c.m.sigma[frame];
    for (const Point base : d.points) {
        const auto p =
            i(d.sided && base != right_hip && base != right_shoulder && base >= left_eye && base < right_eye ? on(c.side, base) : base);
        for (Eigen::Index axis = 0; axis < 3; ++axis) {
            if ((axis == 0 && !c.m.has_x) || (axis == 2 && !c.m.has_z)) continue;
            const double step = std::max(1e-4, s[p]);
            moved[p][axis] += step;
            const Value v = d.f(moved, c);
            moved[p][axis] = b[p][axis];
            if (v.absent == Absent::none) sum += std::pow((v.v - centre) / step * s[p], 2);
        }
    }
    return std::sqrt(sum);
}

MeasureSeries run(const Def& d, const Motion& m, std::optional<Side> side) {
    MeasureSeries out{d.id, d.unit, side, {}};
    out.samples.resize(m.frames());
    Context c{m, side.value_or(Side::left)};
    const bool one_camera = m.view != View::three_d;
    for (std::size_t f = 0; f < m.frames(); ++f) {
        Sample& s = out.samples[f];
        if (!m.valid[f]) {
            s.absent = Absent::no_body;
            continue;
        }
        const Value v = d.f(m.m[f], c);
        s.absent = v.absent;
        if (!s.present()) continue;
        s.value = v.v;
        double var = std::pow(propagate(d, m.m[f], c, f, v.v), 2);
        if (one_camera) var += d.extra_sigma * d.extra_sigma;
        const std::string_view unit = d.unit;
        if (d.uses_vertical) {
            const double per = unit == "deg" ? 1 / deg : unit == "cm" ? 100 * 0.9 * m.stature : 0;
            var += std::pow(per * m.vertical_sigma, 2);
        }
        // Scale: lengths in cm and heights carry it; shares of SW carry the error of SW instead.
        if (m.camera && unit == "cm") var += std::pow(v.v * m.camera->scale_sigma, 2);
        if (unit == "SW")
            var += std::pow(v.v * std::hypot(m.neutral.shoulder_width_sigma / m.neutral.shoulder_width, m.has_x    ? 0
                                                                                                        : m.camera ? m.camera->scale_sigma
                                                                                                                   : 0),
                            2);
        s.sigma = std::sqrt(var);
    }
    return out;
}

/// Toes more than 15 degrees out make the frontal-plane projection of the knee meaningless; judged on the planted foot's median.
void gate_toes(const Motion& m, Measures& out) {
    for (const Side side : {Side::left, Side::right}) {
        auto& inward = out.series[std::string("knee.inward.") + (side == Side::left ? "left" : "right")];
        Series angle(m.frames(), NAN);
        const double foot = m.view == View::three_d ? 1 : 0.152 * m.stature;
        for (std::size_t f = 0; f < m.frames(); ++f) {
            if (!m.valid[f]) continue;
            const Vec3 d = m.m[f][i(on(side, left_toe))] - m.m[f][i(on(side, left_heel))];
            if (m.view == View::three_d)
                angle[f] = outward(side) * std::atan2(d.x(), d.z()) / deg;
            else if (m.has_x)
                angle[f] = outward(side) * std::asin(std::clamp(d.x() / foot, -1.0, 1.0)) / deg;
        }
        const Series slow = m.view == View::three_d ? angle : signal::low_pass(m.time_s, angle, 0.5);
        const double limit = m.view == View::three_d ? 15.0 : 26.0; // one camera tells the toes' direction to about 10 degrees
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (inward.samples[f].present() && std::isfinite(slow[f]) && slow[f] > limit + 1e-9)
                inward.samples[f] = {0, 0, Absent::toes_out};
    }
}

} // namespace

std::string_view absent_name(Absent a) {
    constexpr std::array<std::string_view, 12> names{"none",       "view",       "no_body",     "turned",   "foreshortened", "toes_out",
                                                     "feet_close", "no_neutral", "no_vertical", "foot_off", "no_event",      "hidden"};
    return names[static_cast<std::size_t>(a)];
}

std::optional<Absent> MeasureSeries::absent_throughout() const {
    std::array<std::size_t, 12> count{};
    for (const auto& s : samples) {
        if (s.present()) return std::nullopt;
        ++count[static_cast<std::size_t>(s.absent)];
    }
    return static_cast<Absent>(std::max_element(count.begin(), count.end()) - count.begin());
}

const MeasureSeries* Measures::find(const std::string& id, std::optional<Side> side) const {
    const auto it = series.find(side ? id + (*side == Side::left ? ".left" : ".right") : id);
    return it == series.end() ? nullptr : &it->second;
}

Measures measure(const Motion& m, const MeasureOptions& options) {
    Measures out;
    out.time_s = m.time_s;
    static const std::vector<Def> defs = definitions();
    for (const auto& d : defs) {
        if (!d.sided) {
            out.series[d.id] = run(d, m, std::nullopt);
            continue;
        }
        for (const Side s : {Side::left, Side::right})
            out.series[std::string(d.id) + (s == Side::left ? ".left" : ".right")] = run(d, m, s);
    }
    gate_toes(m, out);
    find_contacts(m, out);
    weigh(m, options.sex, out);
    // Turn of the pelvis per second, for the rule that it rests while a foot is off.
    const auto& turn = out.series.at("pelvis.turn");
    Series y(m.frames(), NAN);
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (turn.samples[f].present()) y[f] = turn.samples[f].value;
    const Series rate = signal::derivative(m.time_s, signal::low_pass(m.time_s, y, 2.0));
    MeasureSeries series{"pelvis.turn_rate", "deg/s", std::nullopt, turn.samples};
    for (std::size_t f = 0; f < m.frames(); ++f) {
        auto& s = series.samples[f];
        if (!s.present()) continue;
        if (!std::isfinite(rate[f])) {
            s.absent = Absent::no_body;
            continue;
        }
        s.value = std::abs(rate[f]);
        s.sigma = m.view == View::three_d ? 1.0 : 16.0;
    }
    out.series["pelvis.turn_rate"] = std::move(series);
    return out;
}

} // namespace bevel
