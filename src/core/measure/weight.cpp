#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr double gravity = 9.81;
constexpr std::size_t i(Point p) {
    return static_cast<std::size_t>(p);
}

double foot_sigma(const Motion& m, std::size_t f, Side s) {
    return m.sigma[f][i(on(s, left_heel))] * 0.75;
}

using Feet = std::array<std::vector<Vec3>, 2>; // foot centres, left and right, a frame each

/// Where the feet stand. From one camera a foot in the air counts where it stood, and from the middle of its way on where it will stand:
/// on its way it would change the line between the feet and with it the share of a body that does not move.
Feet standing_feet(const Motion& m, const Measures& out) {
    Feet feet;
    const auto n = m.frames();
    for (const Side s : {Side::left, Side::right}) {
        auto& c = feet[static_cast<std::size_t>(s)];
        for (std::size_t f = 0; f < n; ++f) c.push_back(foot_centre(m.m[f], s));
        if (m.view == View::three_d) continue;
        const auto& contact = out.contact[static_cast<std::size_t>(s)];
        auto placed = [&](std::size_t from, std::size_t to) {
            Series x, z;
            for (std::size_t f = from; f < to; ++f)
                if (m.valid[f]) x.push_back(c[f].x()), z.push_back(c[f].z());
            return x.empty() ? std::optional<Vec3>() : Vec3(signal::median(x), 0, signal::median(z));
        };
        for (std::size_t a = 0; a < n;) {
            std::size_t b = a;
            while (b < n && contact[b] == Contact::off) ++b;
            if (b > a) {
                const auto few = static_cast<std::size_t>(std::max(3.0, 0.3 * m.rate));
                const auto before = a > 0 ? placed(a > few ? a - few : 0, a) : std::nullopt,
                           after = b < n ? placed(b, std::min(n, b + few)) : std::nullopt;
                for (std::size_t f = a; f < b; ++f) {
                    const auto& at = f < (a + b) / 2 ? (before ? before : after) : (after ? after : before);
                    if (at) c[f] = *at;
                }
            }
            a = std::max(b, a + 1);
        }
    }
    return feet;
}

/// Share on the left foot of a point over the floor; axis 0 sideways, 2 forward, -1 along the line of the feet in plan.
Sample share_at(const Motion& m, const Feet& feet, std::size_t f, const Vec3& zero_moment, Eigen::Index axis) {
    const Vec3 &l = feet[0][f], &r = feet[1][f];
    double span = 0, along = 0;
    if (axis < 0) {
        Vec3 line = l - r, rel = zero_moment - r;
        line.y() = rel.y() = 0;
        span = line.norm();
        along = span > 0 ? rel.dot(line) / span : 0;
    } else {
        span = l[axis] - r[axis];
        along = zero_moment[axis] - r[axis];
    }
    if (std::abs(span) < (m.view == View::three_d ? 0.12 : 0.25)) return {0, 0, Absent::feet_close};
    const double w = along / span;
    const double centre_sigma = m.view == View::three_d ? 0.008 : 0.011;
    const double foot = 0.5 * (foot_sigma(m, f, Side::left) + foot_sigma(m, f, Side::right));
    const double tilt = m.vertical_sigma * 0.95; // a tilted vertical moves the centre, 0.95 m up, over the feet
    return {w, std::sqrt(centre_sigma * centre_sigma + foot * foot * (w * w + (1 - w) * (1 - w)) + tilt * tilt) / std::abs(span),
            Absent::none};
}

/// Offset of the share learnt from quiet single supports, where all of it must be on one foot.
double single_support_offset(const Motion& m, const Feet& feet, const Measures& out, const std::vector<Sample>& raw, Eigen::Index axis) {
    Series metres;
    const auto n = m.frames();
    for (const Side up : {Side::left, Side::right}) {
        const auto& c = out.contact[static_cast<std::size_t>(up)];
        for (std::size_t a = 0; a < n;) {
            std::size_t b = a;
            while (b < n && c[b] == Contact::off) ++b;
            if (b > a + 2 && m.time_s[b - 1] - m.time_s[a] >= 0.3) {
                // The middle half of the support: the body has arrived and does not yet leave.
                for (std::size_t f = a + (b - a) / 4; f < b - (b - a) / 4; ++f) {
                    if (!raw[f].present()) continue;
                    const double want = up == Side::left ? 0.0 : 1.0;
                    const double span = feet[0][f][axis] - feet[1][f][axis];
                    metres.push_back((raw[f].value - want) * span);
                }
            }
            a = std::max(b, a + 1);
        }
    }
    if (metres.size() < 10) return 0;
    return std::clamp(signal::median(metres), -0.04, 0.04);
}

} // namespace

void weigh(const Motion& m, Sex sex, Measures& out) {
    const auto n = m.frames();
    const auto w = centre_weights(SegmentTable::of(sex));
    std::array<Series, 3> c{Series(n, NAN), Series(n, NAN), Series(n, NAN)};
    out.centre.assign(n, Vec3::Zero());
    for (std::size_t f = 0; f < n; ++f) {
        if (!m.valid[f]) continue;
        Vec3 at = Vec3::Zero();
        for (std::size_t p = 0; p < w.size(); ++p) at += w[p] * m.m[f][p];
        out.centre[f] = at;
        for (std::size_t a = 0; a < 3; ++a) c[a][f] = at[static_cast<Eigen::Index>(a)];
    }
    std::array<Series, 3> acc;
    for (std::size_t a = 0; a < 3; ++a) {
        const Series slow = signal::low_pass(m.time_s, c[a], 2.0);
        acc[a] = signal::derivative(m.time_s, signal::derivative(m.time_s, slow));
    }
    const Feet feet = standing_feet(m, out);
    auto course = [&](Eigen::Index axis, bool visible) {
        std::vector<Sample> raw(n);
        for (std::size_t f = 0; f < n; ++f) {
            if (!visible) {
                raw[f].absent = Absent::view;
            } else if (!m.valid[f]) {
                raw[f].absent = Absent::no_body;
            } else {
                Vec3 zero = out.centre[f];
                for (Eigen::Index a = 0; a < 3; ++a) {
                    const double q = acc[static_cast<std::size_t>(a)][f];
                    if (a != 1 && std::isfinite(q)) zero[a] -= q * out.centre[f].y() / gravity;
                }
                raw[f] = share_at(m, feet, f, zero, axis);
            }
        }
        if (visible && axis >= 0) {
            const double offset = single_support_offset(m, feet, out, raw, axis);
            for (std::size_t f = 0; f < n; ++f)
                if (raw[f].present()) raw[f].value -= offset / (feet[0][f][axis] - feet[1][f][axis]);
        }
        return raw;
    };
    auto shown = [&](std::vector<Sample> raw) {
        for (std::size_t f = 0; f < n; ++f) {
            if (raw[f].absent == Absent::view || raw[f].absent == Absent::no_body) continue;
            const bool l = out.contact[0][f] == Contact::off, r = out.contact[1][f] == Contact::off;
            if (l && r) {
                raw[f] = {0, 0, Absent::foot_off};
            } else if (l || r) {
                raw[f] = {l ? 0.0 : 1.0, raw[f].present() ? raw[f].sigma : 0.05, Absent::none}; // a lifted foot carries nothing
            } else if (raw[f].present()) {
                raw[f].value = std::clamp(raw[f].value, 0.0, 1.0);
            }
        }
        return raw;
    };
    const bool full = m.view == View::three_d;
    const auto left_raw = course(full ? -1 : 0, m.has_x);
    // Forward share: on the foot that is the left one, along the forward axis; the front foot's own share follows from which is ahead.
    const auto along_raw = course(2, m.has_z);
    out.series["weight.left"] = {"weight.left", "1", std::nullopt, shown(left_raw)};
    out.series["weight.left_raw"] = {"weight.left_raw", "1", std::nullopt, left_raw};
    MeasureSeries front{"weight.front", "1", std::nullopt, along_raw};
    for (std::size_t f = 0; f < n; ++f) {
        auto& s = front.samples[f];
        if (!s.present()) continue;
        const bool left_ahead = feet[0][f].z() > feet[1][f].z();
        s.value = std::clamp(left_ahead ? s.value : 1 - s.value, 0.0, 1.0);
    }
    out.series["weight.front"] = std::move(front);
    out.shifts_are_front = !m.has_x;
    const auto& source = out.shifts_are_front ? along_raw : left_raw;
    out.series["weight.along_raw"] = {"weight.along_raw", "1", std::nullopt, source};
    Series y(n, NAN);
    Series sig;
    for (std::size_t f = 0; f < n; ++f)
        if (source[f].present()) {
            y[f] = source[f].value;
            sig.push_back(source[f].sigma);
        }
    out.shifts = find_shifts(m.time_s, y, full ? 0 : 0.02);
    for (auto& s : out.shifts) s.sigma_s = full ? 0.5 / m.rate : std::clamp(s.sigma_s, 0.05, 0.4);
}

} // namespace bevel
