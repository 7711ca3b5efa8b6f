#include "core/form/form_reference.h"
#include "core/signal/signal.h"
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

constexpr double rad = std::numbers::pi / 180;

double wrap(double a) {
    return std::remainder(a, 2 * std::numbers::pi);
}

} // namespace

Pose pose_of(const Score& score, const Solver& solver, double t) {
    return placed(solver.solve(score.at(t)), score.frame_at(t), solver.dims().shoulder_width);
}

std::vector<double> facing_by_body(const Motion& m) {
    const auto n = m.frames();
    signal::Series yaw(n, NAN);
    double last = 0;
    for (std::size_t i = 0; i < n; ++i) {
        if (!m.valid[i]) continue;
        const Body3& b = m.m[i];
        double x = 0, z = 0;
        auto left = [&](Point l, Point r, double weight) { // own left in the plane: forward is a quarter turn from it
            const Vec3 d = b[l] - b[r];
            const double length = std::hypot(d.x(), d.z());
            if (length > 0.05) x += weight * -d.z() / length, z += weight * d.x() / length;
        };
        left(left_hip, right_hip, 1);
        left(left_shoulder, right_shoulder, 0.5);
        for (const Side s : {Side::left, Side::right}) {
            const Vec3 d = b[static_cast<std::size_t>(on(s, left_toe))] - b[static_cast<std::size_t>(on(s, left_heel))];
            const double length = std::hypot(d.x(), d.z());
            if (length > 0.05) x += 0.5 * d.x() / length, z += 0.5 * d.z() / length;
        }
        // Counted on, so that half a turn twice is a whole one.
        yaw[i] = last = last + wrap(std::atan2(x, z) - last);
    }
    yaw = signal::fill_gaps(m.time_s, yaw, 1e9);
    for (double& v : yaw)
        if (std::isfinite(v))
            last = v;
        else
            v = last;
    return n > 12 ? signal::low_pass(m.time_s, yaw, 0.7) : yaw;
}

FormReference::FormReference(const LinkedCourse& course, double stature_m)
    : course_(course), score_(course_.score()), solver_(BodyDims::of_stature(stature_m), course_.stand) {
    Track track;
    const double rate = 30;
    for (int i = 0; i <= static_cast<int>(score_.duration() * rate); ++i) {
        track.time_s.push_back(i / rate);
        track.m.emplace_back(pose_of(score_, solver_, i / rate).points);
        track.px.emplace_back();
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = stature_m;
    o.filter = false;
    o.errors = false;
    if (auto m = make_motion(track, o)) motion_ = std::move(*m);
    for (std::size_t i = 0; i < motion_.frames(); ++i) motion_.facing[i] = facing(motion_.time_s[i]);
    measures_ = measure(motion_);
    Motion by_body = motion_;
    by_body.facing = facing_by_body(motion_);
    for (std::size_t k = 0; k < course_.parts.size(); ++k) {
        const LinkedPart& part = course_.parts[k];
        ReferenceModel model;
        model.movement = part.movement->id;
        model.views = part.movement->best_views;
        model.phases = phases_of(*part.movement);
        model.stature = stature_m;
        model.hip_height = motion_.neutral.hip_height;
        if (motion_.frames() > 0) model.quiet = motion_.own(0);
        std::vector<double> borders;
        for (std::size_t i = 1; i < course_.keys.size(); ++i) {
            if (course_.keys[i].repetition != static_cast<int>(k)) continue;
            if (borders.empty()) borders.push_back(course_.keys[i - 1].time);
            borders.push_back(course_.keys[i].time);
        }
        // Whichever side is asked for, it is the one that leads here.
        ReferenceModel plain = model;
        plain.course[0] = plain.course[1] = course_of(by_body, {}, borders);
        by_body_.push_back(std::move(plain));
        model.course[0] = course_of(motion_, measures_, std::move(borders));
        model.course[1] = model.course[0];
        models_.push_back(std::move(model));
    }
}

double FormReference::facing(double t) const {
    const auto& keys = score_.keys();
    const double start = keys.front().frame.yaw;
    const auto& key = keys[score_.stretch_at(t)];
    double yaw = key.frame.yaw;
    // While the feet find their new places, on the way from the old frame.
    const auto k = static_cast<std::size_t>(std::max(0, key.repetition));
    if (key.repetition > 0 && course_.parts[k].joins > 0) {
        const double before = course_.parts[k - 1].frame.yaw;
        double from = 0, to = 0;
        std::size_t phase = 0;
        for (std::size_t i = 1; i < keys.size(); ++i) {
            if (keys[i].repetition != key.repetition) continue;
            if (phase == 0) from = keys[i - 1].time;
            if (phase < course_.parts[k].joins) to = keys[i].time;
            ++phase;
        }
        const double u = to > from ? std::clamp((t - from) / (to - from), 0.0, 1.0) : 1;
        yaw = before + (yaw - before) * u * u * (3 - 2 * u);
    }
    return (yaw - start) * rad;
}

bool FormReference::turns() const {
    const double first = course_.parts.front().frame.yaw;
    return std::any_of(course_.parts.begin(), course_.parts.end(), [&](const LinkedPart& p) { return std::abs(p.frame.yaw - first) > 1; });
}

std::pair<double, double> FormReference::span(std::size_t part) const {
    const auto& c = models_.at(part).course[0];
    return {c.from(), c.to()};
}

} // namespace bevel
