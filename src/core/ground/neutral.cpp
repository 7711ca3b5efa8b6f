// The student standing quietly.
#include "core/ground/grounding.h"
#include <algorithm>
#include <span>

namespace bevel::grounding {
namespace {

using signal::Series;

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

/// Height of a point as the camera sees it: where its line of sight passes the hips' distance. In metres, its own.
double seen_height(const Motion& m, std::size_t frame, Point p) {
    const Body3& b = m.m[frame];
    if (!m.from_pictures()) return b[p].y();
    const auto away = [&](const Vec3& v) { return std::hypot(v.x() - m.camera_at.x(), v.z() - m.camera_at.z()); };
    return m.camera_at.y() + (b[p].y() - m.camera_at.y()) * away(mid(b, left_hip)) / std::max(0.1, away(b[p]));
}

} // namespace

double upright_share(const std::vector<double>& time_s) {
    constexpr double upright_s = 4;
    return std::max(0.97, 1 - upright_s / std::max(1.0, time_s.back() - time_s.front()));
}

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
    Series speed(grid.size(), NAN), tall(grid.size(), NAN), bend(grid.size(), NAN), lean(grid.size(), NAN), wide(grid.size(), NAN),
        low(grid.size(), NAN); // height of the hips in that of the ears
    for (std::size_t k = 0; k < grid.size(); ++k)
        if (m.valid[grid[k]]) own[k] = m.own(grid[k]);
    for (std::size_t k = 0; k < grid.size(); ++k) {
        if (!m.valid[grid[k]]) continue;
        const Body3& b = own[k];
        tall[k] = mid(b, left_ear).y() - mid(b, left_ankle).y();
        low[k] = mid(b, left_hip).y() / std::max(0.1, mid(b, left_ear).y());
        const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
        if (m.has_x) wide[k] = std::abs(b[left_shoulder].x() - b[right_shoulder].x());
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
    // Of quiet seconds the tallest: a hold is as quiet, and lower by little.
    constexpr double lower = 0.025; // of the height, which weighs as much as the whole of `quiet`
    const double top = signal::quantile(tall, upright_share(m.time_s)), widest = m.has_x ? signal::quantile(wide, 0.9) : 0;
    const double quiet = std::hypot(0.08, 2.5 * m.jitter / (2 * half * 0.1)); // noise alone looks like a slow movement
    double best = 1e18;
    const double up = m.from_pictures() ? 0.15 : 0.1;
    std::size_t found = grid.size();
    for (std::size_t k = 0; k + window <= grid.size(); ++k) {
        if (m.time_s[grid[k + window - 1]] - m.time_s[grid[k]] > 1.3) continue; // a gap
        const auto part = std::span(speed).subspan(k, window);
        if (std::any_of(part.begin(), part.end(), [](double v) { return !std::isfinite(v); })) continue;
        if (signal::median(std::span(tall).subspan(k, window)) < (1 - lower) * top) continue;
        // Who is never upright in the clip does not stand quietly in it: the stated height tells so.
        if (o.stature_m && signal::median(std::span(tall).subspan(k, window)) < 0.93 * 0.887 * *o.stature_m) continue;
        // Where nobody said how tall they are, the hips do: of who stands they are at 0.57 of the ears' height (Winter 2009), a child's a
        // little lower; of who sits at 0.43, seen from the front up to 0.5.
        if (!o.stature_m && signal::median(std::span(low).subspan(k, window)) < 0.515) continue;
        if (signal::median(std::span(lean).subspan(k, window)) > 12) continue;
        // A hold with turned shoulders is quiet too, but no neutral: they show narrower than they are.
        if (m.has_x && signal::median(std::span(wide).subspan(k, window)) < 0.9 * widest) continue;
        // Nor is a hold on one leg one. One camera may take a lifted foot for one that stands nearer to it: what counts is how much lower
        // the one is seen, at the distance of the hips; a camera at head height sees a foot that is a foot's length nearer a tenth of a
        // body lower.
        if (const auto i = grid[k + window / 2];
            m.valid[i] && std::abs(seen_height(m, i, left_ankle) - seen_height(m, i, right_ankle)) > up * top)
            continue;
        const double b = signal::median(std::span(bend).subspan(k, window));
        if (std::isfinite(b) && b > 15 + (m.from_pictures() ? 5 : 0)) continue; // one picture tells a bend to a few degrees
        const double q = signal::quantile(part, 0.8);
        const double least = q + quiet * (1 - signal::median(std::span(tall).subspan(k, window)) / top) / lower;
        if (q < quiet && least < best) {
            best = least;
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

} // namespace bevel::grounding
