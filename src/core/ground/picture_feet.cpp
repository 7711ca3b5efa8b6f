// One camera: where the feet rest on the picture, and how far away that is.
#include "core/ground/grounding.h"
#include "core/ground/picture.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel::grounding {
namespace {

using signal::Series;

double smoothstep(double u) {
    u = std::clamp(u, 0.0, 1.0);
    return u * u * u * (10 - 15 * u + 6 * u * u);
}

} // namespace

/// Who walks to or from the camera grows and shrinks on the picture, and the feet move down and up on it. Both have to say so: a deep
/// posture is small too.
void Picture::find_walk(const Camera& c) {
    constexpr double every_s = 1, about_s = 6, least = 1.35; // the way, as nearest and farthest
    if (!floor_known_) return;
    Series tall(t_.frames(), NAN);
    std::vector<std::size_t> seen;
    for (std::size_t i = 0; i < t_.frames(); ++i) {
        if (!t_.px[i]) continue;
        const Vec2 ear = mid_px(*t_.px[i], left_ear), ankle = mid_px(*t_.px[i], left_ankle);
        tall[i] = c.ray(ear.x(), ear.y()).y() - c.ray(ankle.x(), ankle.y()).y();
        seen.push_back(i);
    }
    if (seen.empty()) return;
    Series stood;
    for (const auto i : standing_) stood.push_back(tall[i]);
    const double as_stood = signal::median(stood), ankle_m = ankle_share * stature_;
    Series by_size, by_floor;
    std::vector<std::pair<double, double>> walk;
    for (double t = t_.time_s.front(); t <= t_.time_s.back(); t += every_s) {
        const auto at = [&](double when) {
            return std::lower_bound(seen.begin(), seen.end(), when, [&](std::size_t i, double v) { return t_.time_s[i] < v; });
        };
        Series size, floor;
        for (auto i = at(t - about_s); i != at(t + about_s); ++i) {
            size.push_back(tall[*i]);
            // The lower foot on the picture stands.
            const BodyPx& b = *t_.px[*i];
            const double fall = std::max(-c.ray(b[left_ankle].x, b[left_ankle].y).y(), -c.ray(b[right_ankle].x, b[right_ankle].y).y());
            if (fall > 0.02) floor.push_back((c.height.value - ankle_m) / fall);
        }
        if (size.size() < 10 || floor.size() < 10) continue;
        by_size.push_back(as_stood / std::max(1e-3, signal::quantile(size, 0.9)));
        by_floor.push_back(signal::median(floor) / c.distance);
        walk.emplace_back(t, by_floor.back());
    }
    if (walk.size() < 10) return;
    const auto way = [](const Series& v) { return signal::quantile(v, 0.95) / std::max(1e-3, signal::quantile(v, 0.05)); };
    if (way(by_size) < least || way(by_floor) < least) return;
    double sx = 0, sy = 0, xx = 0, yy = 0, xy = 0;
    const auto n = static_cast<double>(walk.size());
    for (std::size_t k = 0; k < walk.size(); ++k) {
        const double x = by_size[k], y = by_floor[k];
        sx += x, sy += y, xx += x * x, yy += y * y, xy += x * y;
    }
    const double together = (xy - sx * sy / n) / std::sqrt(std::max(1e-12, (xx - sx * sx / n) * (yy - sy * sy / n)));
    if (together > 0.8) walk_ = std::move(walk);
}

double Picture::away(const Camera& c, double t) const {
    if (walk_.empty()) return c.distance;
    const auto next = std::lower_bound(walk_.begin(), walk_.end(), t, [](const auto& w, double v) { return w.first < v; });
    if (next == walk_.begin()) return c.distance * walk_.front().second;
    if (next == walk_.end()) return c.distance * walk_.back().second;
    const auto& before = *std::prev(next);
    return c.distance * (before.second + (t - before.first) / (next->first - before.first) * (next->second - before.second));
}

/// Stretches in which ankle, heel and toe keep their place on the picture for a quarter of a second and more.
void Picture::find_rests(const Camera& c) {
    const auto n = t_.frames();
    for (const Side s : {Side::left, Side::right}) {
        auto& out = rests_[static_cast<std::size_t>(s)];
        std::size_t a = 0, b = 0;
        std::vector<std::size_t> run;
        auto close = [&] {
            if (run.size() >= 3 && t_.time_s[run.back()] - t_.time_s[run.front()] >= 0.25) {
                Series x, y;
                for (const auto i : run) x.push_back((*t_.px[i])[on(s, left_ankle)].x), y.push_back((*t_.px[i])[on(s, left_ankle)].y);
                // What the noise of so long a rest does to its depth: noise stays alike over a third of a second.
                const auto& q = (*t_.px[run[run.size() / 2]])[on(s, left_ankle)];
                const double length = t_.time_s[run.back()] - t_.time_s[run.front()], px = q.sigma_up > 0 ? q.sigma_up : q.sigma;
                const double fall = std::max(0.02, -c.ray(signal::median(x), signal::median(y)).y());
                out.push_back({t_.time_s[run.front()],
                               t_.time_s[run.back()],
                               {signal::median(x), signal::median(y)},
                               px / c.focal.value * c.distance / fall / std::sqrt(1 + length / 0.33)});
            }
            run.clear();
        };
        for (std::size_t i = 0; i < n; ++i) {
            while (b + 1 < n && t_.time_s[b] < t_.time_s[i] + 0.1) ++b;
            while (t_.time_s[a] < t_.time_s[i] - 0.1) ++a;
            bool still = t_.px[i] && t_.px[a] && t_.px[b] && b > a;
            if (still) {
                const double dt = t_.time_s[b] - t_.time_s[a];
                for (const Point p : {left_ankle, left_heel, left_toe})
                    still = still && (at(*t_.px[b], on(s, p)) - at(*t_.px[a], on(s, p))).norm() / c.focal.value * c.distance < 0.09 * dt;
            }
            if (still)
                run.push_back(i);
            else
                close();
        }
        close();
    }
    drop_held_up(c);
}

/// A foot that is held still in the air looks like one that stands far behind. Both feet stand only as far apart as legs reach from hips of
/// that height; where they would have to be farther, the one that is seen higher is in the air.
void Picture::drop_held_up(const Camera& c) {
    if (!floor_known_) return;
    constexpr double leg_share = 0.491, spare = 1.2, least_m = 0.25; // hip to ankle (Winter 2009: 0.530 - 0.039), of stature
    const double ankle = ankle_share * stature_, leg = leg_share * stature_;
    auto depth = [&](const FootRest& r) { return (c.height.value - ankle) / std::max(0.02, -c.ray(r.ankle.x(), r.ankle.y()).y()); };
    std::array<std::vector<bool>, 2> drop;
    for (std::size_t s = 0; s < 2; ++s)
        for (const auto& r : rests_[s]) {
            double together = 0, beside = 0, sigma = 0; // how long the other foot rests meanwhile, and where
            for (const auto& o : rests_[1 - s])
                if (const double t = std::min(r.to_s, o.to_s) - std::max(r.from_s, o.from_s); t > 0)
                    together += t, beside += t * depth(o), sigma = std::max(sigma, o.depth_sigma);
            const auto i = static_cast<std::size_t>(std::lower_bound(t_.time_s.begin(), t_.time_s.end(), 0.5 * (r.from_s + r.to_s)) -
                                                    t_.time_s.begin());
            bool held_up = false;
            if (together > 0.3 * (r.to_s - r.from_s) && i < t_.frames() && t_.px[i]) {
                beside /= together;
                const Vec2 hip = mid_px(*t_.px[i], left_hip);
                const double up = std::min(leg, c.height.value + c.ray(hip.x(), hip.y()).y() * beside - ankle);
                const double reach = 2 * std::sqrt(std::max(0.0, leg * leg - up * up));
                held_up = depth(r) - beside > spare * reach + least_m + 2 * std::hypot(r.depth_sigma, sigma);
            }
            drop[s].push_back(held_up);
        }
    for (std::size_t s = 0; s < 2; ++s) {
        // Noise breaks a long rest into pieces, of which some overlap nothing: they are where their neighbour is.
        auto& rests = rests_[s];
        auto spread = [&](std::size_t k, std::size_t from) {
            constexpr double gap_s = 1, same_m = 0.2;
            const double gap = std::max(rests[k].from_s, rests[from].from_s) - std::min(rests[k].to_s, rests[from].to_s);
            if (drop[s][from] && gap < gap_s && std::abs(depth(rests[k]) - depth(rests[from])) < same_m) drop[s][k] = true;
        };
        for (std::size_t k = 1; k < rests.size(); ++k) spread(k, k - 1);
        for (std::size_t k = rests.size(); k-- > 1;) spread(k - 1, k);
        std::size_t k = 0;
        std::erase_if(rests, [&](const FootRest&) { return drop[s][k++]; });
    }
}

/// A foot that rests on its toes has its ankle higher than one that lies flat, and looks farther away: by how much its heel is seen to be
/// up, its depth is in doubt.
void Picture::doubt_raised_heels(const Camera& c) {
    if (!floor_known_) return;
    constexpr double foot_share = 0.152, plain_m = 0.03, ankle_of_heel = 0.7; // length of stature; noise; the ankle goes up with the heel
    for (const Side s : {Side::left, Side::right})
        for (auto& r : rests_[static_cast<std::size_t>(s)]) {
            Series up;
            const double w = away(c, 0.5 * (r.from_s + r.to_s)), fall = std::max(0.02, -c.ray(r.ankle.x(), r.ankle.y()).y());
            auto i = static_cast<std::size_t>(std::lower_bound(t_.time_s.begin(), t_.time_s.end(), r.from_s) - t_.time_s.begin());
            for (; i < t_.frames() && t_.time_s[i] <= r.to_s; ++i) {
                if (!t_.px[i]) continue;
                const Vec2 heel = at(*t_.px[i], on(s, left_heel)), toe = at(*t_.px[i], on(s, left_toe));
                const double seen = (c.ray(toe.x(), toe.y()).y() - c.ray(heel.x(), heel.y()).y()) * w;
                up.push_back(-fall * foot_share * stature_ * std::cos(axis_[i]) - seen);
            }
            if (up.empty()) continue;
            r.depth_sigma = std::hypot(r.depth_sigma, ankle_of_heel * std::max(0.0, signal::median(up) - plain_m) / fall);
        }
}

Picture::Depths Picture::depths(const Camera& c, const Off& off, const std::vector<std::size_t>& frames) const {
    Depths out;
    for (std::size_t s = 0; s < 2; ++s) {
        auto& w = out.of[s];
        w.assign(frames.size(), c.distance);
        const auto& rests = rests_[s];
        if (!floor_known_ || rests.empty()) continue;
        const double ankle = ankle_share * stature_ + off.floor * ankle_spread;
        // The network puts each person's ankles a little too high or low, the two of them not alike.
        const double bias = [&] {
            Series v;
            for (std::size_t i = 0; i < t_.frames(); i += 7)
                if (t_.px[i]) v.push_back((*t_.px[i])[s == 0 ? left_ankle : right_ankle].bias_up);
            return v.empty() ? 0.0 : signal::median(v);
        }();
        std::vector<double> depth;
        for (const auto& r : rests) {
            const double fall = -c.ray(r.ankle.x(), r.ankle.y() + (s == 0 ? off.left_foot : off.right_foot) * bias).y();
            const double about = away(c, 0.5 * (r.from_s + r.to_s));
            depth.push_back(fall > 0.02 ? std::clamp((c.height.value - ankle) / fall, about - 1.2, about + 1.2) : about);
        }
        std::size_t k = 0;
        for (std::size_t q = 0; q < frames.size(); ++q) {
            const double t = t_.time_s[frames[q]];
            while (k + 1 < rests.size() && rests[k].to_s < t) ++k;
            if (t <= rests[k].to_s && (t >= rests[k].from_s || k == 0)) {
                w[q] = depth[k];
            } else if (t > rests[k].to_s) {
                w[q] = depth[k];
            } else { // on the way from one place to the next
                const double u = (t - rests[k - 1].to_s) / std::max(1e-6, rests[k].from_s - rests[k - 1].to_s);
                w[q] = depth[k - 1] + (depth[k] - depth[k - 1]) * smoothstep(u);
            }
        }
    }
    return out;
}

bool Picture::resting(Side s, double t) const {
    const auto& foot = rests_[static_cast<std::size_t>(s)];
    const auto after = std::upper_bound(foot.begin(), foot.end(), t, [](double v, const FootRest& r) { return v < r.from_s; });
    return after != foot.begin() && t <= std::prev(after)->to_s;
}

double Picture::foot_depth_sigma(Side s, double t) const {
    if (!floor_known_) return 0.25;
    const auto& foot = rests_[static_cast<std::size_t>(s)];
    const auto next = std::upper_bound(foot.begin(), foot.end(), t, [](double v, const FootRest& r) { return v < r.from_s; });
    if (next != foot.begin() && t <= std::prev(next)->to_s) return std::hypot(0.02, std::prev(next)->depth_sigma);
    // A step takes a second or two; who was not seen to rest for longer may stand anywhere.
    const double from = next == foot.begin() ? t_.time_s.front() : std::prev(next)->to_s,
                 to = next == foot.end() ? t_.time_s.back() : next->from_s;
    const double near = std::max(next == foot.begin() ? 0.0 : std::prev(next)->depth_sigma, next == foot.end() ? 0.0 : next->depth_sigma);
    return std::hypot(near, to - from < 2 && !foot.empty() ? 0.07 : 0.25);
}

} // namespace bevel::grounding
