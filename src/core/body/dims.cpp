#include "core/body/dims.h"

namespace bevel {

BodyDims BodyDims::of_stature(double h) {
    BodyDims d{};
    d.stature = h;
    d.ankle_height = 0.039 * h;
    d.shank = 0.246 * h;
    d.thigh = 0.245 * h;
    d.hip_width = 0.100 * h;
    d.shoulder_width = 0.205 * h;
    d.trunk = 0.288 * h;
    d.neck_to_ear = 0.108 * h;
    d.ear_forward = 0.010 * h;
    d.upper_arm = 0.165 * h;
    d.forearm = 0.150 * h;
    d.hand = 0.055 * h; // wrist to knuckles
    d.foot_length = 0.152 * h;
    d.heel_behind = 0.25 * d.foot_length;
    return d;
}

SegmentTable SegmentTable::of(Sex sex) {
    const SegmentTable f{.0668, .4257, .3782, .0255, .5754, .0138, .4559, .0056, .1478, .3612, .0481, .4352, .0129, .4014};
    const SegmentTable m{.0694, .4346, .4310, .0271, .5772, .0162, .4574, .0061, .1416, .4095, .0433, .4395, .0137, .4415};
    if (sex == Sex::female) return f;
    if (sex == Sex::male) return m;
    auto mid = [](double a, double b) { return 0.5 * (a + b); };
    return {mid(f.head, m.head),
            mid(f.trunk, m.trunk),
            mid(f.trunk_at, m.trunk_at),
            mid(f.upper_arm, m.upper_arm),
            mid(f.upper_arm_at, m.upper_arm_at),
            mid(f.forearm, m.forearm),
            mid(f.forearm_at, m.forearm_at),
            mid(f.hand, m.hand),
            mid(f.thigh, m.thigh),
            mid(f.thigh_at, m.thigh_at),
            mid(f.shank, m.shank),
            mid(f.shank_at, m.shank_at),
            mid(f.foot, m.foot),
            mid(f.foot_at, m.foot_at)};
}

std::array<double, point_count> centre_weights(const SegmentTable& t) {
    std::array<double, point_count> w{};
    auto segment = [&](int from, int to, double mass, double at) {
        w[static_cast<std::size_t>(from)] += mass * (1 - at);
        w[static_cast<std::size_t>(to)] += mass * at;
    };
    for (const Side s : {Side::left, Side::right}) {
        w[static_cast<std::size_t>(on(s, left_ear))] += t.head / 2;
        w[static_cast<std::size_t>(on(s, left_shoulder))] += t.trunk * (1 - t.trunk_at) / 2;
        w[static_cast<std::size_t>(on(s, left_hip))] += t.trunk * t.trunk_at / 2;
        segment(on(s, left_shoulder), on(s, left_elbow), t.upper_arm, t.upper_arm_at);
        segment(on(s, left_elbow), on(s, left_wrist), t.forearm, t.forearm_at);
        w[static_cast<std::size_t>(on(s, left_index))] += t.hand * 0.5;
        w[static_cast<std::size_t>(on(s, left_little))] += t.hand * 0.5;
        segment(on(s, left_hip), on(s, left_knee), t.thigh, t.thigh_at);
        segment(on(s, left_knee), on(s, left_ankle), t.shank, t.shank_at);
        segment(on(s, left_heel), on(s, left_toe), t.foot, t.foot_at);
    }
    double sum = 0;
    for (const double v : w) sum += v;
    for (double& v : w) v /= sum;
    return w;
}

Vec3 body_centre(const Body3& body, const SegmentTable& table) {
    const auto w = centre_weights(table);
    Vec3 c = Vec3::Zero();
    for (std::size_t i = 0; i < w.size(); ++i) c += w[i] * body[i];
    return c;
}

} // namespace bevel
