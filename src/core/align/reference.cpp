#include "core/align/reference.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

ScoreOptions one_of_each() {
    ScoreOptions o;
    o.repetitions = 1;
    return o;
}

/// Times of the points between the borders of the phases.
std::vector<double> points_between(const std::vector<double>& borders) {
    std::vector<double> t;
    for (std::size_t p = 0; p + 1 < borders.size(); ++p)
        for (std::size_t k = 0; k < ReferenceModel::points_a_phase; ++k)
            t.push_back(borders[p] + (borders[p + 1] - borders[p]) * (static_cast<double>(k) + 0.5) /
                                         static_cast<double>(ReferenceModel::points_a_phase));
    return t;
}

/// Two neighbouring frames and how far between them a time lies.
struct Between {
    std::size_t a, b;
    double share;
};
Between between(const std::vector<double>& time_s, double t) {
    const auto it = std::upper_bound(time_s.begin(), time_s.end(), t);
    if (it == time_s.begin()) return {0, 0, 0};
    const auto b = static_cast<std::size_t>(it - time_s.begin());
    if (b == time_s.size()) return {b - 1, b - 1, 0};
    return {b - 1, b, (t - time_s[b - 1]) / (time_s[b] - time_s[b - 1])};
}

/// What a performance gives at the points of a course: measures and postures there.
void fill(ReferenceModel::Course& course, const Motion& motion, const Measures& ms) {
    std::vector<Between> at;
    for (const double t : course.time_s) {
        at.push_back(between(motion.time_s, t));
        const auto [a, b, share] = at.back();
        const Body3 from = motion.own(a), to = motion.own(b);
        Body3 body;
        for (std::size_t p = 0; p < point_count; ++p) body[p] = from[p] + share * (to[p] - from[p]);
        course.posture.push_back(body);
    }
    for (const auto& [key, series] : ms.series) {
        auto& curve = course.curves[key];
        curve.reserve(course.time_s.size());
        for (const auto& [a, b, share] : at) {
            const Sample &x = series.samples[a], &y = series.samples[b];
            const bool known = x.present() && y.present();
            curve.push_back(known ? static_cast<float>(x.value + share * (y.value - x.value)) : NAN);
        }
    }
}

} // namespace

ReferenceModel::Course course_of(const Motion& motion, const Measures& measures, std::vector<double> borders) {
    ReferenceModel::Course course;
    course.borders = std::move(borders);
    course.time_s = points_between(course.borders);
    fill(course, motion, measures);
    return course;
}

std::vector<ReferenceModel::Phase> phases_of(const Movement& movement) {
    const auto& resting = rule_book().resting_roles;
    std::vector<ReferenceModel::Phase> out;
    for (const auto& p : movement.phases) {
        const bool rests = p.pause || std::find(resting.begin(), resting.end(), p.role) != resting.end();
        out.push_back({p.id, p.role, p.ends_at, p.ease == Ease::settle, rests});
    }
    return out;
}

std::optional<double> ReferenceModel::value(const std::string& id, std::optional<Side> of_part, Side lead, double t) const {
    const Course& c = of(lead);
    const auto it = c.curves.find(measure_key(id, of_part));
    if (it == c.curves.end() || !std::isfinite(t)) return std::nullopt;
    const auto [a, b, share] = between(c.time_s, t);
    const Curve& v = it->second;
    if (std::isnan(v[a]) || std::isnan(v[b])) return std::nullopt;
    return v[a] + share * (v[b] - v[a]);
}

void Reference::perform(double stature_m) {
    Track track;
    const double rate = 30;
    for (int i = 0; i <= static_cast<int>(score_.duration() * rate); ++i) {
        track.time_s.push_back(i / rate);
        track.m.emplace_back(pose(i / rate).points);
        track.px.emplace_back();
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = stature_m;
    // The reference has no noise to filter; a body solved from a checked movement always makes a motion.
    o.filter = false;
    o.errors = false;
    if (auto m = make_motion(track, o)) motion_ = std::move(*m);
}

Reference::Reference(const Movement& movement, double stature_m)
    : score_(movement, one_of_each()), solver_(BodyDims::of_stature(stature_m), movement.quiet()) {
    perform(stature_m);
    measures_ = measure(motion_);
    describe(stature_m);
    const auto& keys = score_.keys();
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (keys[i].phase < 0) continue;
        auto& b = model_.course[static_cast<std::size_t>(keys[i].side)].borders;
        if (b.empty()) b.push_back(keys[i - 1].time);
        b.push_back(keys[i].time);
    }
    for (auto& course : model_.course) course = course_of(motion_, measures_, std::move(course.borders));
    model_.symmetric = movement.symmetric();
}

Reference::Reference(Score course, double stature_m, const std::function<bool(int)>& joins)
    : score_(std::move(course)), solver_(BodyDims::of_stature(stature_m), score_.movement().quiet()) {
    perform(stature_m);
    const auto& keys = score_.keys();
    // Frames of the stretches, and how far on the way to each in its joins.
    constexpr double rad = std::numbers::pi / 180;
    std::vector<double> from(keys.size(), keys.front().frame.yaw), begin(keys.size(), 0), end(keys.size(), 0);
    for (std::size_t i = 1; i < keys.size();) {
        std::size_t k = i;
        const bool joined = keys[i].phase >= 0 && joins(keys[i].phase);
        while (k + 1 < keys.size() && keys[k + 1].repetition == keys[i].repetition &&
               (keys[k + 1].phase >= 0 && joins(keys[k + 1].phase)) == joined)
            ++k;
        for (std::size_t s = i; s <= k; ++s) {
            from[s] = joined ? keys[i - 1].frame.yaw : keys[s].frame.yaw;
            begin[s] = keys[i - 1].time, end[s] = keys[k].time;
        }
        i = k + 1;
    }
    for (std::size_t i = 0; i < motion_.frames(); ++i) {
        const auto s = score_.stretch_at(motion_.time_s[i]);
        const double u = end[s] > begin[s] ? std::clamp((motion_.time_s[i] - begin[s]) / (end[s] - begin[s]), 0.0, 1.0) : 1;
        const double yaw = from[s] + (keys[s].frame.yaw - from[s]) * u * u * (3 - 2 * u);
        motion_.facing[i] = (yaw - keys.front().frame.yaw) * rad;
    }
    measures_ = measure(motion_);
    describe(stature_m);
    auto& borders = model_.course[0].borders;
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (keys[i].phase < 0) continue;
        if (borders.empty()) borders.push_back(keys[i - 1].time);
        borders.push_back(keys[i].time);
    }
    model_.course[0] = course_of(motion_, measures_, std::move(borders));
    model_.course[1] = model_.course[0];
}

void Reference::describe(double stature_m) {
    const Movement& movement = score_.movement();
    model_.movement = movement.id;
    model_.views = movement.best_views;
    model_.phases = phases_of(movement);
    model_.stature = stature_m;
    model_.hip_height = motion_.neutral.hip_height;
    if (motion_.frames() > 0) model_.quiet = motion_.own(0);
}

} // namespace bevel
