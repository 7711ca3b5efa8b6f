// Points in metres: anywhere in a room, on a floor of any height and slope.
#include "core/ground/grounding.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Dense>
#include <numbers>

namespace bevel::grounding {
namespace {

using signal::Series;

/// Noise of the points: its size, m, and the time over which it goes together. Limbs keep their length: how these change from one moment
/// to a later one is noise alone, whatever the movement. Given points may carry more of it than second differences show.
struct Noise {
    double size = 0, together_s = 0;
};
Noise noise_in_limbs(const Motion& m) {
    constexpr std::array<std::pair<Point, Point>, 4> limbs{
        {{left_hip, left_knee}, {left_knee, left_ankle}, {left_shoulder, left_elbow}, {left_elbow, left_wrist}}};
    /// Spread of the changes of limb lengths over so long, m.
    auto change = [&](double over_s) {
        Series sizes;
        const auto frames = static_cast<std::size_t>(std::max(1.0, std::round(over_s * m.rate)));
        for (const auto& limb : limbs)
            for (const Side s : {Side::left, Side::right}) {
                auto length = [&](std::size_t f) { return (m.m[f][at(on(s, limb.first))] - m.m[f][at(on(s, limb.second))]).norm(); };
                Series d;
                for (std::size_t f = 0; f + frames < m.frames(); f += 1 + m.frames() / 3000)
                    if (m.valid[f] && m.valid[f + frames]) d.push_back(std::abs(length(f + frames) - length(f)));
                if (d.size() >= 20) sizes.push_back(signal::median(d) / 0.6745);
            }
        return sizes.empty() ? 0.0 : signal::median(sizes);
    };
    Noise n;
    const double far = change(1.5), near = change(0.1);
    n.size = far / 2; // two moments, two ends
    if (far > 1e-6 && near < far) n.together_s = std::clamp(-0.1 / std::log(std::max(1e-3, 1 - near * near / (far * far))), 0.0, 2.0);
    return n;
}

/// Noise of the points from frame to frame, m: second differences against those of a smooth movement (median, so that jerks do not count).
double noise_of(const Motion& m) {
    Series d;
    for (std::size_t i = 1; i + 1 < m.frames(); i += 1 + m.frames() / 2000) {
        if (!m.valid[i - 1] || !m.valid[i] || !m.valid[i + 1]) continue;
        for (const Point p : {left_hip, right_hip, left_shoulder, right_shoulder, left_ankle, right_ankle, left_knee, right_knee})
            for (Eigen::Index a = 0; a < 3; ++a) {
                const double h0 = m.time_s[i] - m.time_s[i - 1], h1 = m.time_s[i + 1] - m.time_s[i], u = h0 / (h0 + h1);
                const double line = (1 - u) * m.m[i - 1][at(p)][a] + u * m.m[i + 1][at(p)][a];
                d.push_back(std::abs(m.m[i][at(p)][a] - line) / std::sqrt(1 + u * u + (1 - u) * (1 - u)));
            }
    }
    return d.empty() ? 0 : signal::median(d) / 0.6745;
}

/// Floor under heels and toes, y = a + b x + c z, by least squares over the lowest of them in turn; slopes are held to what the spread of
/// the places can tell (prior 1.5 degrees). Points are then put over it.
void fit_floor(Motion& m, double noise) {
    struct Spot {
        double x, y, z;
    };
    std::vector<Spot> spots;
    const std::size_t step = 1 + m.frames() / 1500;
    for (std::size_t i = 0; i < m.frames(); i += step)
        if (m.valid[i])
            for (const Point p : {left_heel, left_toe, right_heel, right_toe})
                spots.push_back({m.m[i][at(p)].x(), m.m[i][at(p)].y(), m.m[i][at(p)].z()});
    if (spots.size() < 8) return;
    Series y;
    for (const auto& s : spots) y.push_back(s.y);
    Eigen::Vector3d fit(signal::quantile(y, 0.3), 0, 0);
    Vec2 middle(0, 0);
    for (const auto& s : spots) middle += Vec2(s.x, s.z) / static_cast<double>(spots.size());
    double band = 0.06 + 2 * noise;
    for (int round = 0; round < 12; ++round) {
        Eigen::Matrix3d a = Eigen::Matrix3d::Zero();
        Eigen::Vector3d r = Eigen::Vector3d::Zero();
        Series rest;
        for (const auto& s : spots) {
            const Eigen::Vector3d u(1, s.x - middle.x(), s.z - middle.y());
            const double e = s.y - u.dot(fit);
            if (std::abs(e) > band) continue;
            // Raised heels and toes pull up only: what lies above counts less.
            const double w = e > 0 ? 0.35 : 1;
            a += w * u * u.transpose();
            r += w * u * s.y;
            rest.push_back(std::abs(e));
        }
        if (rest.size() < 8) break;
        const double sigma = std::max(0.002, noise), slope = 1.5 * deg;
        // About a tenth of the spots stand for themselves; the rest repeat them.
        a *= 0.1, r *= 0.1;
        a(1, 1) += sigma * sigma / (slope * slope);
        a(2, 2) += sigma * sigma / (slope * slope);
        fit = a.ldlt().solve(r);
        band = std::max(0.006 + 2.5 * noise, 0.6 * band);
    }
    for (std::size_t i = 0; i < m.frames(); ++i)
        if (m.valid[i])
            for (auto& p : m.m[i]) p.y() -= fit[0] + fit[1] * (p.x() - middle.x()) + fit[2] * (p.z() - middle.y());
    m.floor_y_sigma = 0.002 + 0.3 * noise;
}

Vec2 plan(const Vec3& v) {
    return {v.x(), v.z()};
}
/// Yaw of a direction that points forward, to own left positive.
double yaw_forward(const Vec2& v) {
    return std::atan2(v.x(), v.y());
}
/// Yaw of a direction that points to own left.
double yaw_left(const Vec2& v) {
    return std::atan2(-v.y(), v.x());
}

struct Heading {
    std::vector<double> yaw;
    double sigma = 0.03;
};

/// The way the student faces, from points in metres. Feet that stand side by side and both on the floor tell it (the bisector of their
/// directions, the line between them), with pelvis and shoulders where these look the same way: a turn of the waist is not a turn of the
/// student.
Heading heading_of(const Motion& m) {
    const auto n = m.frames();
    std::vector<double> t, yaw;
    for (double s = m.time_s.front(); s <= m.time_s.back() + 1e-9; s += 0.2) {
        const auto i = std::min<std::size_t>(
            n - 1, static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s) - m.time_s.begin()));
        if (!m.valid[i] || (!t.empty() && m.time_s[i] <= t.back())) continue;
        const Body3& b = m.m[i];
        const Vec2 lf = plan(b[left_toe] - b[left_heel]), rf = plan(b[right_toe] - b[right_heel]);
        if (lf.norm() < 0.05 || rf.norm() < 0.05) continue;
        const Vec2 feet = lf.normalized() + rf.normalized();
        const Vec2 line = plan(b[left_ankle] - b[right_ankle]), pelvis = plan(b[left_hip] - b[right_hip]),
                   chest = plan(b[left_shoulder] - b[right_shoulder]);
        if (feet.norm() < 0.5 || line.norm() < 0.05) continue;
        const double by_feet = yaw_forward(feet);
        if (std::max(std::abs(b[left_heel].y() - b[right_heel].y()), std::abs(b[left_toe].y() - b[right_toe].y())) > 0.04) continue;
        // Side by side: no step between them along the way they point.
        const Vec2 f(std::sin(by_feet), std::cos(by_feet));
        if (std::abs(line.dot(f)) > 0.35 * lf.norm() + 0.02) continue;
        Vec2 sum = 0.5 * Vec2(std::cos(by_feet), std::sin(by_feet));
        auto add = [&](double a, double w) {
            if (std::abs(wrap(a - by_feet)) < 15 * deg) sum += w * Vec2(std::cos(a), std::sin(a));
        };
        add(yaw_left(line), 0.5);
        const double p = yaw_left(pelvis), c = yaw_left(chest);
        if (std::abs(wrap(p - c)) < 6 * deg) add(p, 2), add(c, 2);
        t.push_back(m.time_s[i]);
        yaw.push_back(std::atan2(sum.y(), sum.x()));
    }
    Heading h;
    if (t.size() < 3) { // never side by side: the middle of where pelvis and feet point
        Vec2 sum(0, 0);
        for (std::size_t i = 0; i < n; i += 5)
            if (m.valid[i]) {
                const double a = yaw_left(plan(m.m[i][left_hip] - m.m[i][right_hip]));
                sum += Vec2(std::cos(a), std::sin(a));
            }
        h.yaw.assign(n, std::atan2(sum.y(), sum.x()));
        h.sigma = 8 * deg;
        return h;
    }
    auto middle = [&](std::size_t from, std::size_t to) { // circular median: deviations from the first
        Series d;
        for (std::size_t k = from; k < to; ++k) d.push_back(wrap(yaw[k] - yaw[from]));
        return yaw[from] + signal::median(d);
    };
    const double whole = middle(0, t.size());
    std::vector<double> local(t.size());
    Series off;
    for (std::size_t k = 0; k < t.size(); ++k) {
        std::size_t from = k, to = k + 1;
        while (from > 0 && t[k] - t[from - 1] < 1.5) --from;
        while (to < t.size() && t[to] - t[k] < 1.5) ++to;
        local[k] = middle(from, to);
        off.push_back(std::abs(wrap(local[k] - whole)));
    }
    const bool turns = signal::quantile(off, 0.85) > 8 * deg;
    std::size_t k = 0;
    for (std::size_t i = 0; i < n; ++i) {
        while (k + 1 < t.size() && t[k + 1] <= m.time_s[i]) ++k;
        h.yaw.push_back(turns ? local[k] : whole);
    }
    const double spread = signal::quantile(off, 0.7);
    h.sigma = std::hypot(1.0 * deg, turns ? 3 * deg : 0.5 * std::min(spread, 6 * deg));
    return h;
}

/// Turns and shifts all points so that the start faces +z with the origin between the ankles.
void to_start(Motion& m, double start_yaw) {
    const Eigen::Matrix3d r = Eigen::AngleAxisd(-start_yaw, Vec3(0, 1, 0)).toRotationMatrix();
    Series x, z;
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i]) continue;
        for (auto& p : m.m[i]) p = r * p;
        if (x.size() < 15) {
            const Vec3 a = mid(m.m[i], left_ankle);
            x.push_back(a.x());
            z.push_back(a.z());
        }
    }
    const Vec3 origin(signal::median(x), 0, signal::median(z));
    for (std::size_t i = 0; i < m.frames(); ++i)
        if (m.valid[i])
            for (auto& p : m.m[i]) p -= origin;
    m.camera_at = r * m.camera_at - origin;
}

} // namespace

Result<Motion> from_metres(const Track& t, const MotionOptions& o) {
    Motion m;
    m.view = View::three_d;
    m.time_s = t.time_s;
    const auto n = t.frames();
    m.m.resize(n);
    m.sigma.resize(n);
    m.valid.assign(n, false);
    for (std::size_t i = 0; i < n; ++i)
        if (t.m[i]) {
            m.m[i] = *t.m[i];
            m.valid[i] = true;
        }
    m.rate = signal::median_rate(m.time_s);
    const Noise limbs = o.filter ? noise_in_limbs(m) : Noise{};
    const double noise = std::max(noise_of(m), limbs.size);
    m.together_s = limbs.together_s;
    const double cutoff = o.cutoff_hz > 0 ? o.cutoff_hz : 6.0;
    // Passed by the filter, of noise from frame to frame: about its bandwidth against half the rate; of noise that goes together over a
    // time (first-order): what its spectrum has below the cutoff.
    const double passed = std::max(2.6 * cutoff / m.rate, 2 / std::numbers::pi * std::atan(2 * std::numbers::pi * cutoff * m.together_s));
    const double left = o.filter && cutoff < 0.45 * m.rate ? std::sqrt(std::min(1.0, passed)) : 1;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t k = 0; k < point_count; ++k) {
            const double stated = i < t.m_sigma.size() ? t.m_sigma[i][k] : 0;
            const auto s = static_cast<float>(std::hypot(0.0003, (stated > 0 ? stated : noise) * left));
            m.sigma[i][k] = {s, s, s, 0, 0};
        }
    m.jitter = o.fitted ? found_jitter : std::max(0.0005, noise * left);
    m.fitted = o.fitted;
    m.vertical_sigma = 0.003;
    fill(m);
    if (o.filter) filter(m, cutoff);
    fit_floor(m, noise * left);
    const Heading h = heading_of(m);
    m.facing_sigma = h.sigma;
    m.facing.resize(n);
    for (std::size_t i = 0; i < n; ++i) m.facing[i] = wrap(h.yaw[i] - h.yaw.front());
    m.start_yaw = h.yaw.front();
    to_start(m, m.start_yaw);
    Series tall;
    for (std::size_t i = 0; i < n; ++i)
        if (m.valid[i]) {
            const Body3& b = m.m[i];
            double legs = 0;
            for (const Side s : {Side::left, Side::right})
                legs += 0.5 * ((b[at(on(s, left_hip))] - b[at(on(s, left_knee))]).norm() +
                               (b[at(on(s, left_knee))] - b[at(on(s, left_ankle))]).norm());
            tall.push_back(((mid(b, left_ear) - mid(b, left_shoulder)).norm() + (mid(b, left_shoulder) - mid(b, left_hip)).norm() + legs) /
                           0.887);
        }
    m.stature = o.stature_m.value_or(tall.empty() ? 1.7 : signal::median(tall));
    m.stature_sigma = o.stature_m ? 0.01 : 0.015 * m.stature;
    m.scale_from = o.stature_m ? From::stated : From::body;
    return m;
}

} // namespace bevel::grounding
