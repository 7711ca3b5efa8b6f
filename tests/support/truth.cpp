#include "support/truth.h"
#include <algorithm>
#include <cmath>

namespace bevel::test {
namespace {

constexpr double to_degrees = 57.29577951308232;

struct V {
    double x, y, z;
};
V operator-(const V& a, const V& b) {
    return {a.x - b.x, a.y - b.y, a.z - b.z};
}
double length(const V& a) {
    return std::sqrt(a.x * a.x + a.y * a.y + a.z * a.z);
}

/// A point in the student's own axes: x to own left, z the way they face.
V own(const Body3& body, double turn, Point p) {
    const Vec3& q = body[static_cast<std::size_t>(p)];
    // Left is (cos, -sin), ahead is (sin, cos) in the floor plane.
    return {q.x() * std::cos(turn) - q.z() * std::sin(turn), q.y(), q.x() * std::sin(turn) + q.z() * std::cos(turn)};
}
V between(const V& a, const V& b) {
    return {(a.x + b.x) / 2, (a.y + b.y) / 2, (a.z + b.z) / 2};
}

/// Angle between two directions by the law of cosines on the triangle they span.
double angle(const V& a, const V& b) {
    const double p = length(a), q = length(b), r = length(a - b);
    return std::acos(std::clamp((p * p + q * q - r * r) / (2 * p * q), -1.0, 1.0)) * to_degrees;
}

} // namespace

QuietTruth quiet_truth(const sim::Take& take, double from_s, double to_s) {
    return quiet_truth(take.truth().points, take, from_s, to_s);
}

QuietTruth quiet_truth(const std::vector<Body3>& points, const sim::Take& take, double from_s, double to_s) {
    QuietTruth q;
    double n = 0;
    for (std::size_t f = 0; f < take.frames(); ++f) {
        const double t = take.truth().time_s[f];
        if (t < from_s || t > to_s) continue;
        auto P = [&](Point p) { return own(points[f], take.truth().facing[f], p); };
        const V ears = between(P(left_ear), P(right_ear)), shoulders = between(P(left_shoulder), P(right_shoulder));
        q.ears_ahead_cm += 100 * (ears.z - shoulders.z);
        q.hip_height += (P(left_hip).y + P(right_hip).y) / 2;
        const V nose_at = P(nose);
        q.nose_pitch += std::atan2(nose_at.y - ears.y, std::hypot(nose_at.x - ears.x, nose_at.z - ears.z)) * to_degrees;
        q.ear_over_shoulder[0] += P(left_ear).y - P(left_shoulder).y;
        q.ear_over_shoulder[1] += P(right_ear).y - P(right_shoulder).y;
        n += 1;
    }
    if (n < 1) return q;
    q.known = true;
    q.ears_ahead_cm /= n;
    q.hip_height /= n;
    q.nose_pitch /= n;
    for (double& v : q.ear_over_shoulder) v /= n;
    return q;
}

FrameTruth frame_truth(const sim::Take& take, std::size_t f, const QuietTruth& quiet) {
    FrameTruth out = frame_truth(take.truth().points[f], take.truth().facing[f], take.student().dims(), quiet);
    out.value["weight.left"] = take.truth().weight_left[f];
    return out;
}

FrameTruth frame_truth(const Body3& body, double facing, const BodyDims& dims, const QuietTruth& quiet) {
    FrameTruth out;
    auto& v = out.value;
    auto P = [&](Point p) { return own(body, facing, p); };
    const double sw = dims.shoulder_width;
    const V la = P(left_ankle), ra = P(right_ankle), hips = between(P(left_hip), P(right_hip)),
            shoulders = between(P(left_shoulder), P(right_shoulder)), ears = between(P(left_ear), P(right_ear));
    v["stance.width"] = std::fabs(la.x - ra.x) / sw;
    v["stance.length"] = std::fabs(la.z - ra.z) / sw;
    std::array<double, 2> out_angle{};
    for (int side = 0; side < 2; ++side) {
        const std::string end = side == 0 ? ".left" : ".right";
        const double sign = side == 0 ? 1 : -1;
        auto S = [&](Point left) { return P(side == 0 ? left : mirrored(left)); };
        const V hip = S(left_hip), knee = S(left_knee), ankle = S(left_ankle), heel = S(left_heel), toe = S(left_toe);
        const V foot = toe - heel;
        out_angle[static_cast<std::size_t>(side)] = sign * std::atan2(foot.x, foot.z) * to_degrees;
        v["foot.angle" + end] = out_angle[static_cast<std::size_t>(side)];
        // Bend: what the angle at the knee lacks of a straight line; negative when the knee lies behind the line from hip to ankle.
        double bend = 180 - angle(hip - knee, ankle - knee);
        const double share = (hip.y - knee.y) / (hip.y - ankle.y);
        const V on_line{hip.x + share * (ankle.x - hip.x), knee.y, hip.z + share * (ankle.z - hip.z)};
        if ((knee.x - on_line.x) * foot.x + (knee.z - on_line.z) * foot.z < 0) bend = -bend;
        v["knee.flexion" + end] = bend;
        const double thigh = std::atan2(knee.x - hip.x, hip.y - knee.y), shin = std::atan2(ankle.x - knee.x, knee.y - ankle.y);
        v["knee.inward" + end] = sign * (shin - thigh) * to_degrees;
        const V lower = knee - ankle;
        const double plan = std::hypot(lower.x, lower.z);
        if (plan > 0.08)
            v["knee.toe" + end] =
                -sign * std::remainder(std::atan2(lower.x, lower.z) - std::atan2(foot.x, foot.z), 6.283185307179586) * to_degrees;
        const double f_len = std::hypot(foot.x, foot.z);
        v["knee.ahead" + end] = 100 * ((knee.x - toe.x) * foot.x + (knee.z - toe.z) * foot.z) / f_len;
        v["thigh" + end] = std::asin((hip.y - knee.y) / length(hip - knee)) * to_degrees;
        v["hand.height" + end] = S(left_wrist).y / dims.stature;
        v["hand.centre" + end] = sign * (S(left_wrist).x - (0.6 * shoulders.x + 0.4 * hips.x)) / sw;
        v["heel.rise" + end] = 100 * heel.y;
        const bool heel_down = heel.y < 0.01, toe_down = toe.y < 0.01;
        v["foot.state" + end] = heel_down && toe_down ? 0 : heel_down ? 1 : toe_down ? 2 : 3; // flat, heel, toe, off
        v["elbow.flexion" + end] = 180 - angle(S(left_shoulder) - S(left_elbow), S(left_wrist) - S(left_elbow));
        v["arm.air" + end] = angle(S(left_elbow) - S(left_shoulder), hip - S(left_shoulder));
        if (quiet.known)
            v["shoulder.gap" + end] = (S(left_ear).y - S(left_shoulder).y) / quiet.ear_over_shoulder[static_cast<std::size_t>(side)];
    }
    v["foot.parity"] = out_angle[0] - out_angle[1];
    const double ankles = std::fabs(la.x - ra.x);
    if (ankles > 0.12) v["knee.gap"] = (P(left_knee).x - P(right_knee).x) / ankles;
    auto level = [&](Point left) {
        const V d = P(left) - P(mirrored(left));
        return std::asin(d.y / length(d)) * to_degrees;
    };
    auto turn = [&](Point left) {
        const V d = P(left) - P(mirrored(left));
        return std::asin(-d.z / std::hypot(d.x, d.z)) * to_degrees;
    };
    v["pelvis.tilt"] = level(left_hip);
    v["shoulder.tilt"] = level(left_shoulder);
    v["pelvis.turn"] = turn(left_hip);
    v["shoulder.turn"] = turn(left_shoulder);
    v["turn.gap"] = v["shoulder.turn"] - v["pelvis.turn"];
    v["trunk.lean"] = std::atan((shoulders.z - hips.z) / (shoulders.y - hips.y)) * to_degrees;
    v["trunk.side"] = std::atan((shoulders.x - hips.x) / (shoulders.y - hips.y)) * to_degrees;
    if (quiet.known) {
        v["head.offset"] = 100 * (ears.z - shoulders.z) - quiet.ears_ahead_cm;
        v["hip.height"] = hips.y / quiet.hip_height;
    }
    auto foot_middle = [&](Point heel, Point toe) {
        const V h = P(heel), t = P(toe);
        return V{h.x + (t.x - h.x) * 0.36, 0, h.z + (t.z - h.z) * 0.36};
    };
    const V base = between(foot_middle(left_heel, left_toe), foot_middle(right_heel, right_toe));
    v["plumb.side"] = 100 * (ears.x - base.x);
    v["plumb.forward"] = 100 * (ears.z - base.z);
    const V nose_at = P(nose), ear_line = P(left_ear) - P(right_ear);
    v["head.pitch"] = std::atan2(nose_at.y - ears.y, std::hypot(nose_at.x - ears.x, nose_at.z - ears.z)) * to_degrees - quiet.nose_pitch;
    v["head.roll"] = std::asin(-ear_line.y / length(ear_line)) * to_degrees + level(left_shoulder);
    return out;
}

std::vector<ShiftTruth> shift_truth(const sim::Take& take, double least) {
    // The exact course at 120 Hz: the centre of the student's own segments between where the feet stand.
    const auto& student = take.student();
    const double from = take.start_s(), to = take.start_s() + take.truth().time_s.back(), h = 1.0 / 120;
    std::vector<double> t, y;
    std::array<Vec3, 2> stands{Vec3::Zero(), Vec3::Zero()};
    bool known = false;
    for (double s = from; s <= to; s += h) {
        const Pose pose = student.pose(s);
        const auto& p = pose.points;
        Vec3 c = Vec3::Zero();
        double mass = 0;
        for (const auto& m : student.masses(pose)) c += m.mass * m.at, mass += m.mass;
        c /= mass;
        for (std::size_t k = 0; k < 2; ++k) {
            const Vec3 heel = p[k == 0 ? left_heel : right_heel], toe = p[k == 0 ? left_toe : right_toe];
            if (!known || heel.y() < 0.01 || toe.y() < 0.01) stands[k] = heel + 0.36 * (toe - heel);
        }
        known = true;
        const double dx = stands[0].x() - stands[1].x(), dz = stands[0].z() - stands[1].z();
        t.push_back(s - from);
        y.push_back(((c.x() - stands[1].x()) * dx + (c.z() - stands[1].z()) * dz) / (dx * dx + dz * dz));
    }
    std::vector<ShiftTruth> out;
    // Each stretch of one direction: speeds above a twentieth of its fastest, pauses of less than a long halt included.
    const auto n = y.size();
    auto speed = [&](std::size_t i) { return i < 6 || i + 6 >= n ? 0.0 : (y[i + 6] - y[i - 6]) / (t[i + 6] - t[i - 6]); };
    std::size_t i = 6;
    while (i + 6 < n) {
        const bool up = speed(i) > 0;
        std::size_t e = i, quiet = 0;
        double peak = 0;
        while (e + 7 < n) {
            const double v = speed(e + 1) * (up ? 1 : -1);
            peak = std::max(peak, v);
            if (v < -0.004) break;
            quiet = v < 0.03 * peak ? quiet + 1 : 0;
            ++e;
        }
        // From the fastest moment outwards to where it hardly moves.
        std::size_t a = i, b = e;
        for (std::size_t k = i; k <= e; ++k)
            if (std::fabs(speed(k)) >= peak * (1 - 1e-9)) a = b = k;
        while (a > i && std::fabs(speed(a)) > 0.1 * peak) --a;
        while (b < e && std::fabs(speed(b)) > 0.1 * peak) ++b;
        if (std::fabs(y[b] - y[a]) > least) {
            ShiftTruth s{t[a], 0, 0, y[a > 20 ? a - 20 : 0], y[std::min(b + 20, n - 1)]};
            const double way = s.to - s.from;
            std::size_t k = a > 20 ? a - 20 : 0;
            while (k < n - 1 && (y[k] - s.from) / way < 0.1) ++k;
            s.start_s = t[k];
            while (k < n - 1 && (y[k] - s.from) / way < 0.9) ++k;
            s.end_s = t[k];
            out.push_back(s);
        }
        i = e + 1;
    }
    return out;
}

std::vector<ContactTruth> flat_truth(const sim::Take& take) {
    std::vector<ContactTruth> out;
    const double from = take.start_s(), to = from + take.truth().time_s.back();
    std::array<bool, 2> was{true, true};
    for (double s = from; s <= to; s += 1.0 / 240) {
        const Pose pose = take.student().pose(s);
        for (int side = 0; side < 2; ++side) {
            const bool flat =
                pose.points[side == 0 ? left_heel : right_heel].y() < 0.01 && pose.points[side == 0 ? left_toe : right_toe].y() < 0.01;
            if (flat && !was[static_cast<std::size_t>(side)] && s > from) out.push_back({side == 0 ? Side::left : Side::right, s - from});
            was[static_cast<std::size_t>(side)] = flat;
        }
    }
    return out;
}

} // namespace bevel::test
