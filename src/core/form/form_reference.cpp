#include "core/form/form_reference.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

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

namespace {
/// Whether a phase of the whole is of a join.
std::function<bool(int)> joins_of(const LinkedCourse& course) {
    std::vector<bool> joins;
    for (const auto& p : course.parts)
        for (std::size_t k = 0; k < p.movement->phases.size(); ++k) joins.push_back(k < p.joins);
    return [joins](int phase) { return joins.at(static_cast<std::size_t>(phase)); };
}
} // namespace

FormReference::FormReference(const LinkedCourse& course, double stature_m)
    : Reference(course.score(), stature_m, joins_of(course)), course_(course) {
    Motion by_body = motion();
    by_body.facing = facing_by_body(motion());
    std::size_t phases = 0;
    for (std::size_t k = 0; k < course_.parts.size(); ++k) {
        const LinkedPart& part = course_.parts[k];
        ReferenceModel one;
        one.movement = part.movement->id;
        one.views = part.movement->best_views;
        one.phases = phases_of(*part.movement);
        one.stature = stature_m;
        one.hip_height = model().hip_height;
        one.quiet = model().quiet;
        const auto& all = model().course[0].borders;
        const auto from = all.begin() + static_cast<std::ptrdiff_t>(phases);
        std::vector<double> borders(from, from + static_cast<std::ptrdiff_t>(part.movement->phases.size()) + 1);
        first_phase_.push_back(phases);
        phases += part.movement->phases.size();
        // Whichever side is asked for, it is the one that leads here.
        ReferenceModel plain = one;
        plain.course[0] = plain.course[1] = course_of(by_body, {}, borders);
        by_body_.push_back(std::move(plain));
        one.course[0] = course_of(motion(), measures(), std::move(borders));
        one.course[1] = one.course[0];
        models_.push_back(std::move(one));
    }
}

std::vector<ReferenceModel> FormReference::models_seen(double azimuth, double distance_m) const {
    const Motion& m = motion();
    const Vec3 start = mid(m.m.front(), left_hip);
    const double way = m.facing.front() + azimuth;
    const Vec3 camera = start + distance_m * Vec3(std::sin(way), 0, std::cos(way));
    std::vector<ReferenceModel> out = models_;
    for (auto& model : out)
        for (auto& course : model.course) {
            course.curves.clear();
            for (const double t : course.time_s) {
                const auto i = std::min(static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), t) - m.time_s.begin()),
                                        m.frames() - 1);
                const Vec3 to = camera - mid(m.m[i], left_hip);
                course.seen_from.push_back(wrap(std::atan2(to.x(), to.z()) - m.facing[i]));
            }
        }
    return out;
}

double FormReference::facing(double t) const {
    const auto& at = motion().time_s;
    const auto it = std::lower_bound(at.begin(), at.end(), t);
    return motion().facing[static_cast<std::size_t>(std::min(it, at.end() - 1) - at.begin())];
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
