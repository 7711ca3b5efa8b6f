#include "core/review/same_take.h"
#include <algorithm>
#include <cmath>
#include <vector>

namespace bevel {
namespace {

constexpr int moments = 60, window = 6;
// Means over a window of a film and of its copy at half the size, strongly compressed: 0.008 of the body's height apart (test_finding); two
// takes of one person before the same camera: 0.046 there, from where the feet stand and when the body moves.
constexpr double alike = 0.015;
constexpr double length_s = 0.4, length_part = 0.01; // as long, seconds or part
constexpr double aspect_part = 0.03;
constexpr std::array<Point, 11> seen{nose,      left_shoulder, right_shoulder, left_wrist, right_wrist, left_hip,
                                     right_hip, left_knee,     right_knee,     left_ankle, right_ankle};

const BodyPx* body_at(const Track& t, double time) {
    const auto it = std::lower_bound(t.time_s.begin(), t.time_s.end(), time);
    auto i = static_cast<std::size_t>(it - t.time_s.begin());
    if (i == t.time_s.size() || (i > 0 && time - t.time_s[i - 1] < t.time_s[i] - time)) --i;
    return i < t.px.size() && t.px[i] && std::abs(t.time_s[i] - time) < 0.1 ? &*t.px[i] : nullptr;
}

double height_of(const BodyPx& b) {
    const double x = 0.5 * (b[left_ankle].x + b[right_ankle].x) - b[nose].x, y = 0.5 * (b[left_ankle].y + b[right_ankle].y) - b[nose].y;
    return std::hypot(x, y);
}

/// Root mean square distance of the points, averaged over windows, in heights of the body, `b` as large as `a` and `lag` later; nothing
/// where too few are seen.
std::optional<double> distance(const Track& a, const Track& b, double from, double length, double lag) {
    const double scale = static_cast<double>(a.width) / b.width;
    double sum = 0, height = 0;
    int windows = 0, both = 0;
    for (int w = 0; w < moments; w += window) {
        std::array<Vec2, seen.size()> apart{};
        int n = 0;
        for (int k = w; k < w + window; ++k) {
            const double t = length * (k + 0.5) / moments;
            const BodyPx *p = body_at(a, a.time_s.front() + t), *q = body_at(b, from + t + lag);
            if (!p || !q) continue;
            ++n, ++both;
            height += height_of(*p);
            for (std::size_t i = 0; i < seen.size(); ++i)
                apart[i] += Vec2((*p)[seen[i]].x - scale * (*q)[seen[i]].x, (*p)[seen[i]].y - scale * (*q)[seen[i]].y);
        }
        if (n == 0) continue;
        ++windows;
        for (const auto& d : apart) sum += (d / n).squaredNorm() / static_cast<double>(seen.size());
    }
    if (2 * both < moments || height <= 0) return std::nullopt;
    return std::sqrt(sum / windows) / (height / both);
}

} // namespace

bool same_take(const Track& a, const Track& b) {
    if (a.frames() < 2 || b.frames() < 2 || a.width <= 0 || b.width <= 0 || a.height <= 0 || b.height <= 0) return false;
    const double long_a = a.time_s.back() - a.time_s.front(), long_b = b.time_s.back() - b.time_s.front();
    if (std::abs(long_a - long_b) > std::max(length_s, length_part * long_a)) return false;
    const double aspect_a = static_cast<double>(a.width) / a.height, aspect_b = static_cast<double>(b.width) / b.height;
    if (std::abs(aspect_a / aspect_b - 1) > aspect_part) return false;
    for (const double lag : {0.0, -0.04, 0.04, -0.08, 0.08}) // a frame more or less at the beginning
        if (const auto d = distance(a, b, b.time_s.front(), std::min(long_a, long_b), lag); d && *d < alike) return true;
    return false;
}

} // namespace bevel
