#include "core/ground/derive.h"
#include "core/ground/picture.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Dense>
#include <numbers>

namespace bevel {
namespace {

using grounding::Off;
using grounding::Picture;
using signal::Series;
constexpr double deg = std::numbers::pi / 180;
constexpr double grid_step = 0.3; // s between the frames on which shared errors are kept

double wrap(double a) {
    return std::remainder(a, 2 * std::numbers::pi);
}
std::size_t at(Point p) {
    return static_cast<std::size_t>(p);
}

/// Applies f to every coordinate of every point as a series over time.
template <class F> void each_coordinate(Motion& m, F f) {
    const auto n = m.frames();
    Series y(n);
    for (std::size_t k = 0; k < point_count; ++k)
        for (Eigen::Index axis = 0; axis < 3; ++axis) {
            for (std::size_t i = 0; i < n; ++i) y[i] = m.valid[i] ? m.m[i][k][axis] : NAN;
            f(y, [&](std::size_t i) -> double& { return m.m[i][k][axis]; });
        }
    for (std::size_t k = 0; k < 4 && !m.foot_place.empty(); ++k)
        for (Eigen::Index axis = 0; axis < 2; ++axis) {
            for (std::size_t i = 0; i < n; ++i) y[i] = m.valid[i] ? m.foot_place[i][k][axis] : NAN;
            f(y, [&](std::size_t i) -> double& { return m.foot_place[i][k][axis]; });
        }
}

void fill(Motion& m) {
    if (std::all_of(m.valid.begin(), m.valid.end(), [](bool v) { return v; })) return;
    std::vector<bool> filled = m.valid;
    each_coordinate(m, [&](const Series& y, auto get) {
        const Series f = signal::fill_gaps(m.time_s, y, 0.25);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (!m.valid[i] && std::isfinite(f[i])) {
                get(i) = f[i];
                filled[i] = true;
            }
    });
    for (std::size_t i = 0; i < m.frames(); ++i)
        if (filled[i] && !m.valid[i])
            for (std::size_t k = 0; k < point_count; ++k) {
                m.sigma[i][k] = i > 0 ? m.sigma[i - 1][k] : PointSigma{0.02F, 0.02F, 0.1F, 0, 0};
                m.sigma[i][k].across *= 1.5F;
                m.sigma[i][k].up *= 1.5F;
            }
    m.valid = filled;
}

void filter(Motion& m, double cutoff) {
    each_coordinate(m, [&](const Series& y, auto get) {
        const Series f = signal::low_pass(m.time_s, y, cutoff);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) get(i) = f[i];
    });
}

// --- points in metres -------------------------------------------------------------------------------------------------------------------

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
    const double noise = noise_of(m);
    const double cutoff = o.cutoff_hz > 0 ? o.cutoff_hz : 6.0;
    // Passed by the filter, of white noise: about its bandwidth against half the rate.
    const double left = o.filter && cutoff < 0.45 * m.rate ? std::sqrt(std::min(1.0, 2.6 * cutoff / m.rate)) : 1;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t k = 0; k < point_count; ++k) {
            const double stated = i < t.m_sigma.size() ? t.m_sigma[i][k] : 0;
            const auto s = static_cast<float>(std::hypot(0.0003, (stated > 0 ? stated : noise) * left));
            m.sigma[i][k] = {s, s, s, 0, 0};
        }
    m.jitter = std::max(0.0005, noise * left);
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

// --- one camera -------------------------------------------------------------------------------------------------------------------------

/// From the level frame to the room: forward and left of the student at the start.
struct ToRoom {
    double c, s; // of the start azimuth against the optical axis
    Vec3 origin = Vec3::Zero();
    Vec3 operator()(const Vec3& p) const { return Vec3(p.x() * c - p.z() * s, p.y(), -p.z() * c - p.x() * s) - origin; }
};

Result<Motion> from_picture(const Track& t, const MotionOptions& o) {
    Picture picture(t, o);
    if (auto ok = picture.look(); !ok) return tl::unexpected(ok.error());
    Motion m;
    const auto n = t.frames();
    m.time_s = t.time_s;
    m.rate = signal::median_rate(m.time_s);
    m.m.resize(n);
    m.sigma.resize(n);
    m.valid.assign(n, false);
    m.foot_place.assign(n, {});
    m.facing.assign(n, 0);
    m.azimuth.assign(n, 0);
    m.stature = picture.stature();
    m.stature_sigma = picture.stature_sigma();
    m.scale_from = picture.scale_from();
    m.floor_known = picture.floor_known();
    m.vertical_known = picture.vertical_known();
    m.facing_sigma = picture.azimuth_sigma();
    m.mirrored_hint = picture.mirrored_hint();
    const Camera c = picture.camera({});
    m.camera = c;
    m.vertical_sigma = std::hypot(c.roll.sigma, 0.5 * c.pitch.sigma);
    m.start_azimuth = picture.azimuth().front();
    std::vector<std::size_t> all(n);
    for (std::size_t i = 0; i < n; ++i) all[i] = i;
    const auto depth = picture.depths(c, {}, all);
    ToRoom room{std::cos(m.start_azimuth), std::sin(m.start_azimuth)};
    for (std::size_t i = 0; i < n; ++i) {
        m.facing[i] = wrap(m.start_azimuth - picture.azimuth()[i]);
        if (!t.px[i]) continue;
        m.valid[i] = true;
        m.azimuth[i] = wrap(picture.azimuth()[i] - picture.to_sight(i, c));
        const Body3 level = picture.level(i, c, depth.of[0][i], depth.of[1][i], {});
        for (std::size_t k = 0; k < point_count; ++k) m.m[i][k] = room(level[k]);
        m.sigma[i] = picture.sigma(i, c, 0.5 * (depth.of[0][i] + depth.of[1][i]));
        m.foot_place[i] = picture.foot_place(i, c);
    }
    Series x0, z0, az;
    for (std::size_t i = 0; i < n; ++i)
        if (m.valid[i]) {
            if (x0.size() < 15) {
                const Vec3 a = mid(m.m[i], left_ankle);
                x0.push_back(a.x());
                z0.push_back(a.z());
            }
            az.push_back(wrap(m.azimuth[i] - m.azimuth[n / 2]));
        }
    room.origin = Vec3(signal::median(x0), 0, signal::median(z0));
    for (std::size_t i = 0; i < n; ++i)
        for (auto& p : m.m[i]) p -= room.origin;
    m.camera_at = room(Vec3(0, c.height.value, 0));
    const double usual = m.azimuth[n / 2] + signal::median(az);
    m.has_x = std::abs(std::cos(usual)) >= 0.707;
    m.has_z = !m.has_x;
    const double to_axis = std::abs(wrap(2 * usual) / 2); // distance to front or back
    if (to_axis > 25 * deg && to_axis < 65 * deg)
        m.view = View::oblique;
    else if (m.has_x)
        m.view = std::cos(usual) > 0 ? View::front : View::back;
    else
        m.view = std::sin(usual) > 0 ? View::left : View::right;
    fill(m);
    if (!o.errors) return m;
    // The clip as it would be were one figure off by one sigma; what the filter takes out is the same in both and drops out.
    for (double s = m.time_s.front(); s <= m.time_s.back(); s += grid_step) {
        const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s) - m.time_s.begin());
        if (i < n && t.px[i] && (m.grid.empty() || i > m.grid.back())) m.grid.push_back(i);
    }
    const std::array<std::pair<const char*, Off>, 9> offs{{{"focal", {.focal = 1}},
                                                           {"pitch", {.pitch = 1}},
                                                           {"roll", {.roll = 1}},
                                                           {"distortion", {.distortion = 1}},
                                                           {"scale", {.scale = 1}},
                                                           {"floor", {.floor = 1}},
                                                           {"depth", {.depth = 1}},
                                                           {"left_foot", {.left_foot = 1}},
                                                           {"right_foot", {.right_foot = 1}}}};
    for (const auto& [what, off] : offs) {
        const Camera moved = picture.camera(off);
        const auto d = picture.depths(moved, off, m.grid);
        SharedError e;
        e.what = what;
        e.person = e.what == "scale" || e.what == "left_foot" || e.what == "right_foot";
        e.stature = m.stature * (off.scale != 0 ? 1 + picture.scale_sigma() : 1);
        e.moved.reserve(m.grid.size());
        for (std::size_t g = 0; g < m.grid.size(); ++g) {
            const auto i = m.grid[g];
            const Body3 a = picture.level(i, c, depth.of[0][i], depth.of[1][i], {}),
                        b = picture.level(i, moved, d.of[0][g], d.of[1][g], off);
            Body3 delta;
            for (std::size_t k = 0; k < point_count; ++k) delta[k] = room(b[k]) - room(a[k]);
            e.moved.push_back(delta); // as a difference for now
        }
        m.shared.push_back(std::move(e));
    }
    return m;
}

// --- neutral ----------------------------------------------------------------------------------------------------------------------------

Neutral from_proportions(const Motion& m, const MotionOptions& o) {
    const BodyDims d = BodyDims::of_stature(m.stature);
    Neutral n;
    n.shoulder_width = o.shoulder_width_m.value_or(d.shoulder_width);
    n.shoulder_width_sigma = (o.shoulder_width_m ? 0.025 : 0.06) * n.shoulder_width;
    n.width_from = o.shoulder_width_m ? From::stated : From::proportions;
    n.hip_height = d.hip_height();
    n.thigh = d.thigh;
    n.shank = d.shank;
    n.trunk = d.trunk;
    n.foot = d.foot_length;
    return n;
}

/// The quietest upright second: legs long, trunk upright, nothing moving faster than 8 cm/s over half a second.
void find_neutral(Motion& m, const MotionOptions& o) {
    m.neutral = from_proportions(m, o);
    Neutral& u = m.neutral;
    const auto n = m.frames();
    // On a grid of a tenth of a second, whatever the frame rate.
    std::vector<std::size_t> grid;
    for (double s = m.time_s.front(); s <= m.time_s.back() + 1e-9; s += 0.1) {
        const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s - 1e-9) - m.time_s.begin());
        if (i < n && (grid.empty() || i > grid.back())) grid.push_back(i);
    }
    const std::size_t half = 3, window = 10;
    if (grid.size() < window + 2 * half) return;
    std::vector<Body3> own(grid.size());
    Series speed(grid.size(), NAN), tall(grid.size(), NAN), bend(grid.size(), NAN), lean(grid.size(), NAN);
    for (std::size_t k = 0; k < grid.size(); ++k)
        if (m.valid[grid[k]]) own[k] = m.own(grid[k]);
    for (std::size_t k = 0; k < grid.size(); ++k) {
        if (!m.valid[grid[k]]) continue;
        const Body3& b = own[k];
        tall[k] = mid(b, left_ear).y() - mid(b, left_ankle).y();
        const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
        lean[k] = std::atan2(std::hypot(d.x(), d.z()), d.y()) / deg;
        if (!m.from_pictures() || m.has_z) // the near leg where one is nearer
            bend[k] = std::max(m.azimuth.empty() || m.azimuth[grid[k]] > 0 ? joint_bend(b[left_hip], b[left_knee], b[left_ankle]) : 0.0,
                               m.azimuth.empty() || m.azimuth[grid[k]] < 0 ? joint_bend(b[right_hip], b[right_knee], b[right_ankle]) : 0.0);
        if (k < half || k + half >= grid.size() || !m.valid[grid[k - half]] || !m.valid[grid[k + half]]) continue;
        const double dt = m.time_s[grid[k + half]] - m.time_s[grid[k - half]];
        double v = 0;
        for (const Point p : {left_hip, left_shoulder, left_wrist, left_ankle})
            for (const Point q : {p, mirrored(p)}) {
                Vec3 move = m.m[grid[k + half]][at(q)] - m.m[grid[k - half]][at(q)];
                if (m.from_pictures())
                    move -= move.dot(Vec3(m.m[grid[k]][at(q)] - m.camera_at).normalized()) *
                            Vec3(m.m[grid[k]][at(q)] - m.camera_at).normalized();
                v = std::max(v, move.norm() / dt);
            }
        speed[k] = v;
    }
    const double top = signal::quantile(tall, 0.97);
    const double quiet = std::hypot(0.08, 2.5 * m.jitter / (2 * half * 0.1)); // noise alone looks like a slow movement
    double best = quiet;
    std::size_t found = grid.size();
    for (std::size_t k = 0; k + window <= grid.size(); ++k) {
        if (m.time_s[grid[k + window - 1]] - m.time_s[grid[k]] > 1.3) continue; // a gap
        const auto part = std::span(speed).subspan(k, window);
        if (std::any_of(part.begin(), part.end(), [](double v) { return !std::isfinite(v); })) continue;
        if (signal::median(std::span(tall).subspan(k, window)) < 0.975 * top) continue;
        if (signal::median(std::span(lean).subspan(k, window)) > 12) continue;
        const double b = signal::median(std::span(bend).subspan(k, window));
        if (std::isfinite(b) && b > 15 + (m.from_pictures() ? 5 : 0)) continue; // one picture tells a bend to a few degrees
        const double q = signal::quantile(part, 0.8);
        if (q < best) {
            best = q;
            found = k;
        }
    }
    if (found == grid.size()) return;
    auto median_of = [&](auto f) {
        Series v;
        for (std::size_t k = found; k < found + window; ++k) v.push_back(f(own[k]));
        return signal::median(v);
    };
    auto length = [&](Point a, Point b) {
        return median_of([&](const Body3& p) { return 0.5 * ((p[a] - p[b]).norm() + (p[mirrored(a)] - p[mirrored(b)]).norm()); });
    };
    u.source = NeutralSource::quiet_second;
    u.from_s = m.time_s[grid[found]];
    u.to_s = m.time_s[grid[found + window - 1]];
    for (std::size_t p = 0; p < point_count; ++p)
        for (Eigen::Index a = 0; a < 3; ++a) u.body[p][a] = median_of([&](const Body3& b) { return b[p][a]; });
    u.hip_height = mid(u.body, left_hip).y();
    u.trunk = median_of([&](const Body3& p) { return (mid(p, left_shoulder) - mid(p, left_hip)).norm(); });
    if (m.has_z) u.foot = length(left_heel, left_toe);
    // From the front a bend of the knees shortens the thigh on the picture; the longest that shows is nearest to the truth.
    u.thigh = std::max(length(left_hip, left_knee), m.from_pictures() ? u.thigh * 0.93 : 0);
    u.shank = std::max(length(left_knee, left_ankle), m.from_pictures() ? u.shank * 0.93 : 0);
    u.knee_sum = median_of([&](const Body3& p) {
        return 0.5 * (joint_bend(p[left_hip], p[left_knee], p[left_ankle]) + joint_bend(p[right_hip], p[right_knee], p[right_ankle]));
    });
    if (m.has_x) {
        const double width = median_of([&](const Body3& p) { return (p[left_shoulder] - p[right_shoulder]).norm(); });
        const double turned = m.from_pictures() ? std::abs(std::cos(m.azimuth[grid[found]])) : 1;
        if (turned > std::cos(25 * deg)) {
            u.shoulder_width = width;
            const auto& s = m.sigma[grid[found]][left_shoulder];
            u.shoulder_width_sigma = m.from_pictures() ? std::hypot(1.414 * s.person, 0.008 * width) : std::hypot(0.001, s.across * 0.5);
            u.width_from = From::quiet_stand;
        }
    }
}

/// Differences become bodies in own axes, with the neutral and the lengths of the moved world; facing and shoulder width are errors of
/// their own.
void finish_shared(Motion& m) {
    const bool quiet = m.neutral.source == NeutralSource::quiet_second;
    std::size_t neutral_at = 0;
    for (std::size_t g = 0; g < m.grid.size(); ++g)
        if (m.time_s[m.grid[g]] <= 0.5 * (m.neutral.from_s + m.neutral.to_s)) neutral_at = g;
    auto turned = [](const Vec3& v, double facing) {
        const double c = std::cos(facing), s = std::sin(facing);
        return Vec3(v.x() * c - v.z() * s, v.y(), v.x() * s + v.z() * c);
    };
    for (auto& e : m.shared) {
        e.shoulder_width = m.neutral.shoulder_width;
        if (m.neutral.width_from == From::proportions) e.shoulder_width *= e.stature / m.stature;
        e.neutral = m.neutral.body;
        // Where the body stands over the feet changes with the posture: the quiet stand is not off alike.
        if (quiet && !e.moved.empty() && e.what != "depth") {
            for (std::size_t k = 0; k < point_count; ++k) e.neutral[k] += turned(e.moved[neutral_at][k], m.facing[m.grid[neutral_at]]);
            if (m.neutral.width_from == From::quiet_stand) e.shoulder_width = (e.neutral[left_shoulder] - e.neutral[right_shoulder]).norm();
        }
        for (std::size_t g = 0; g < e.moved.size(); ++g) {
            const auto i = m.grid[g];
            const Body3 base = m.own(i);
            for (std::size_t k = 0; k < point_count; ++k) e.moved[g][k] = base[k] + turned(e.moved[g][k], m.facing[i]);
        }
    }
    if (m.grid.empty()) // points in metres
        for (double s = m.time_s.front(); s <= m.time_s.back(); s += grid_step) {
            const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s) - m.time_s.begin());
            if (i < m.frames() && m.valid[i] && (m.grid.empty() || i > m.grid.back())) m.grid.push_back(i);
        }
    auto plain = [&](const char* what, bool person) {
        SharedError e;
        e.what = what;
        e.person = person;
        e.neutral = m.neutral.body;
        e.stature = m.stature;
        e.shoulder_width = m.neutral.shoulder_width;
        return e;
    };
    SharedError facing = plain("facing", false);
    for (const auto i : m.grid) {
        Body3 b = m.own(i);
        for (auto& p : b) p = turned(p, m.facing_sigma);
        facing.moved.push_back(b);
    }
    for (auto& p : facing.neutral) p = turned(p, m.facing_sigma);
    m.shared.push_back(std::move(facing));
    SharedError width = plain("width", true);
    width.shoulder_width += m.neutral.shoulder_width_sigma;
    m.shared.push_back(std::move(width));
    if (!m.from_pictures()) {
        SharedError floor = plain("floor", false), stature = plain("scale", true);
        for (const auto i : m.grid) {
            Body3 b = m.own(i);
            for (auto& p : b) p.y() += m.floor_y_sigma;
            floor.moved.push_back(b);
        }
        for (auto& p : floor.neutral) p.y() += m.floor_y_sigma;
        stature.stature += m.stature_sigma;
        m.shared.push_back(std::move(floor));
        m.shared.push_back(std::move(stature));
        for (const bool side : {true, false}) { // vertical
            SharedError tilt = plain(side ? "roll" : "pitch", false);
            const double a = m.vertical_sigma;
            auto lean = [&](Vec3 p) { return side ? Vec3(p.x() + a * p.y(), p.y(), p.z()) : Vec3(p.x(), p.y(), p.z() + a * p.y()); };
            for (const auto i : m.grid) {
                Body3 b = m.own(i);
                for (auto& p : b) p = lean(p);
                tilt.moved.push_back(b);
            }
            for (auto& p : tilt.neutral) p = lean(p);
            m.shared.push_back(std::move(tilt));
        }
    }
}

/// Slopes of the back from points that were marked. One camera shows them from the side: within 25 degrees of it.
void slopes_of_back(Motion& m, const Track& t) {
    m.breaths = t.layers.breaths;
    if (t.layers.extra.empty()) return;
    m.back.assign(m.frames(), {});
    Series length;
    for (const auto& [frame, points] : t.layers.extra) {
        if (frame >= m.frames() || !m.valid[frame]) continue;
        if (m.from_pictures() && std::abs(std::sin(m.azimuth[frame])) < std::cos(25 * deg)) continue;
        const double yaw = m.facing[frame] + m.start_yaw, ahead = m.from_pictures() ? (std::sin(m.azimuth[frame]) > 0 ? -1 : 1) : 0;
        auto slope = [&](Extra from, Extra to) -> std::optional<double> {
            const auto &a = points[static_cast<std::size_t>(from)], &b = points[static_cast<std::size_t>(to)];
            if (!a || !b) return std::nullopt;
            const Vec3 d = *b - *a;
            length.push_back(d.norm());
            if (m.from_pictures()) // pixels, y down, the picture's own tilt taken out
                return std::atan2(ahead * d.x(), -d.y()) / deg - ahead * (m.camera ? m.camera->roll.value : 0) / deg;
            return std::atan2(d.x() * std::sin(yaw) + d.z() * std::cos(yaw), d.y()) / deg;
        };
        m.back[frame] = {slope(tail, low_back), slope(low_back, mid_back), slope(mid_back, c7)};
    }
    // Marks are set to about a hundredth of the body.
    const double mark = m.from_pictures() ? 0.004 * body_height_px(t) : 0.007;
    m.back_sigma = length.empty() ? 0 : 1.414 * mark / signal::median(length) / deg;
}

bool feet_cut(const Track& t, std::size_t seen) {
    if (t.height <= 0) return false;
    std::size_t cut = 0;
    for (const auto& f : t.px)
        if (f && (std::max((*f)[left_heel].y, (*f)[left_toe].y) > t.height || std::max((*f)[right_heel].y, (*f)[right_toe].y) > t.height))
            ++cut;
    return cut * 5 > seen;
}

} // namespace

Body3 Motion::own(std::size_t frame) const {
    const double c = std::cos(facing[frame]), s = std::sin(facing[frame]);
    Body3 out;
    for (std::size_t p = 0; p < point_count; ++p) {
        const Vec3& q = m[frame][p];
        out[p] = Vec3(q.x() * c - q.z() * s, q.y(), q.x() * s + q.z() * c);
    }
    return out;
}

std::string MotionOptions::validate() const {
    if (stature_m && !(*stature_m > 0.8 && *stature_m < 2.5)) return "height";
    if (shoulder_width_m && !(*shoulder_width_m > 0.15 && *shoulder_width_m < 0.7)) return "shoulder width";
    if (cutoff_hz < 0 || cutoff_hz > 50) return "cutoff";
    return {};
}

View guess_view(const Track& track) {
    Series c, s;
    for (const auto& a : rough_azimuth(track)) c.push_back(a.c), s.push_back(a.s);
    const Azimuth a = Azimuth{signal::median(c), signal::median(s)}.unit();
    if (std::abs(a.c) > 0.42 && std::abs(a.c) < 0.906) return View::oblique;
    if (std::abs(a.c) >= 0.906) return a.c > 0 ? View::front : View::back;
    return a.s > 0 ? View::left : View::right;
}

Result<Motion> make_motion(const Track& raw, const MotionOptions& options) {
    if (const auto bad = options.validate(); !bad.empty()) return fail(Code::bad_value, bad);
    if (raw.frames() < 10) return fail(Code::cannot_judge, "too_short");
    const bool metres = std::any_of(raw.m.begin(), raw.m.end(), [](const auto& f) { return f.has_value(); });
    const bool pixels = std::any_of(raw.px.begin(), raw.px.end(), [](const auto& f) { return f.has_value(); });
    const bool full = options.view ? *options.view == View::three_d : metres && !pixels;
    if (full && !metres) return fail(Code::cannot_judge, "view_needed");
    if (!full && !pixels) return fail(Code::cannot_judge, "no_body");
    const Track t = derive(raw);
    const auto seen = static_cast<std::size_t>(full ? std::count_if(t.m.begin(), t.m.end(), [](const auto& f) { return f.has_value(); })
                                                    : std::count_if(t.px.begin(), t.px.end(), [](const auto& f) { return f.has_value(); }));
    if (seen < 10 || seen * 4 < raw.frames()) return fail(Code::cannot_judge, "no_body");
    if (!full && feet_cut(t, seen)) return fail(Code::cannot_judge, "feet_cut_off");
    auto made = full ? from_metres(t, options) : from_picture(t, options);
    if (!made) return made;
    Motion& m = *made;
    if (m.from_pictures()) {
        m.jitter = 0.004;
        if (options.filter) filter(m, options.cutoff_hz > 0 ? options.cutoff_hz : 4.0);
    }
    slopes_of_back(m, t);
    find_neutral(m, options);
    if (options.errors) finish_shared(m);
    return made;
}

Result<Motion> ground(std::span<const Shot> shots, const MotionOptions& options) {
    if (shots.size() != 1) return fail(Code::cannot_judge, shots.empty() ? "no_body" : "one_camera");
    return make_motion(shots.front().track, options);
}

} // namespace bevel
