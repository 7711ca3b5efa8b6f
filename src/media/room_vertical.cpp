// Edge pixels are strongest across in their row; runs of them downwards are fitted by straight lines, and the lines' tilt by
// roll + slope * column, with outliers (furniture, clothes, slanting shadows) weighed down.
#include "core/signal/signal.h"
#include "media/tracker.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

struct Line {
    double x, tilt, length;
};

/// Strength of upright edges on one picture, and the straight runs of them.
class UprightEdges {
public:
    explicit UprightEdges(const sim::Image& im) : im_(im), w_(im.width), h_(im.height), edge_(at(0, h_), 0.0F), used_(edge_.size(), false) {
        for (int y = 2; y < h_ - 2; ++y)
            for (int x = 2; x < w_ - 2; ++x)
                edge_[at(x, y)] = static_cast<float>(grey(x + 1, y - 1) + 2 * grey(x + 1, y) + grey(x + 1, y + 1) - grey(x - 1, y - 1) -
                                                     2 * grey(x - 1, y) - grey(x - 1, y + 1)) /
                                  4.0F;
    }

    /// Those outside of the columns from `left` to `right`.
    void lines(double left, double right, std::vector<Line>& out) {
        for (int y = 3; y < h_ - 3; ++y)
            for (int x = 4; x < w_ - 4; ++x) {
                if (used_[at(x, y)] || e(x, y) < 14 || e(x, y) < e(x - 1, y) || e(x, y) <= e(x + 1, y)) continue;
                const auto run = follow(x, y);
                if (static_cast<double>(run.size()) < 0.10 * h_) continue;
                const auto line = straight(run);
                if (line && (line->x <= left || line->x >= right)) out.push_back(*line);
            }
    }

private:
    std::size_t at(int x, int y) const { return static_cast<std::size_t>(y) * static_cast<std::size_t>(w_) + static_cast<std::size_t>(x); }
    double grey(int x, int y) const {
        const auto* p = im_.rgb.data() + at(x, y) * 3;
        return 0.3 * p[0] + 0.59 * p[1] + 0.11 * p[2];
    }
    float e(int x, int y) const { return std::abs(edge_[at(x, y)]); }
    /// Where the edge is between the pixels.
    double sub(int x, int y) const {
        const double a = e(x - 1, y), b = e(x, y), c = e(x + 1, y), d = a - 2 * b + c;
        return x + (d < -1e-6 ? std::clamp(0.5 * (a - c) / d, -0.5, 0.5) : 0.0);
    }
    std::vector<Vec2> follow(int x, int y) {
        std::vector<Vec2> run;
        for (int v = y; v < h_ - 3; ++v) {
            int best = x;
            for (const int k : {x - 1, x + 1})
                if (k > 3 && k < w_ - 4 && e(k, v) > e(best, v)) best = k;
            if (e(best, v) < 10 || used_[at(best, v)]) break;
            x = best;
            used_[at(best, v)] = true;
            run.emplace_back(sub(best, v), v);
        }
        return run;
    }
    static std::optional<Line> straight(const std::vector<Vec2>& run) {
        double sx = 0, sy = 0, sxy = 0, syy = 0;
        const auto n = static_cast<double>(run.size());
        for (const auto& q : run) sx += q.x(), sy += q.y();
        for (const auto& q : run) sxy += (q.x() - sx / n) * (q.y() - sy / n), syy += (q.y() - sy / n) * (q.y() - sy / n);
        const double b = sxy / syy;
        double rest = 0;
        for (const auto& q : run) rest += std::pow(q.x() - sx / n - b * (q.y() - sy / n), 2);
        if (std::sqrt(rest / n) > 0.8 || std::abs(b) > 0.27) return std::nullopt;
        return Line{sx / n, -std::atan(b), n};
    }

    const sim::Image& im_;
    int w_, h_;
    std::vector<float> edge_;
    std::vector<bool> used_;
};

/// Roll and slope over the columns from the lines, and their spread; the slope a half width.
struct Fit {
    Eigen::Vector2d line = Eigen::Vector2d::Zero();
    double spread = 0.01;
};
std::optional<Fit> fit_of(const std::vector<Line>& lines, double middle) {
    Fit f;
    double scale = 0.05;
    for (int round = 0; round < 12; ++round) {
        Eigen::Matrix2d a = Eigen::Matrix2d::Zero();
        Eigen::Vector2d r = Eigen::Vector2d::Zero();
        signal::Series off;
        int used = 0;
        for (const auto& l : lines) {
            const Eigen::Vector2d u(1, (l.x - middle) / middle);
            const double e = l.tilt - (round == 0 ? 0 : u.dot(f.line)), k = e / (4.7 * scale);
            const double weight = std::abs(k) < 1 ? l.length * l.length * std::pow(1 - k * k, 2) : 0;
            a += weight * u * u.transpose();
            r += weight * l.tilt * u;
            off.push_back(std::abs(e));
            used += weight > 0 ? 1 : 0;
        }
        if (used < 4 || a.determinant() <= 0) return std::nullopt;
        f.line = a.ldlt().solve(r);
        f.spread = 1.48 * signal::median(off);
        scale = std::clamp(f.spread, 0.004, 0.05);
    }
    return f;
}

} // namespace

std::optional<VerticalOnPicture> room_vertical(
    const std::vector<std::pair<std::shared_ptr<const sim::Image>, std::optional<BodyPx>>>& frames) {
    std::vector<Line> lines;
    double middle = 0;
    for (const auto& [picture, body] : frames) {
        if (!picture) continue;
        middle = picture->width / 2.0;
        double left = 1e9, right = -1e9;
        if (body)
            for (const auto& p : *body) {
                left = std::min(left, p.x);
                right = std::max(right, p.x);
            }
        const double pad = 0.25 * (right - left) + 10;
        UprightEdges(*picture).lines(left - pad, right + pad, lines);
    }
    if (lines.size() < 4) return std::nullopt;
    const auto [left, right] = std::minmax_element(lines.begin(), lines.end(), [](const Line& a, const Line& b) { return a.x < b.x; });
    if (right->x - left->x < 0.5 * middle) return std::nullopt;
    const auto fit = fit_of(lines, middle);
    if (!fit) return std::nullopt;
    const double support = std::sqrt(static_cast<double>(lines.size()) / static_cast<double>(std::max<std::size_t>(1, frames.size())));
    VerticalOnPicture v;
    v.roll = fit->line[0];
    v.slope = fit->line[1] / middle;
    v.roll_sigma = std::max(0.003, fit->spread / support);
    v.slope_sigma = std::max(0.004, fit->spread / support) / middle;
    v.from_room = true;
    return v;
}

} // namespace bevel
