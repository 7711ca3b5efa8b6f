#include "media/scene.h"
#include <cmath>

namespace bevel {
namespace {
constexpr int small_width = 160, reach = 6;
}

SceneWatch::Small SceneWatch::shrink(const sim::Image& picture, const std::optional<BodyPx>& body) {
    Small s;
    s.scale = std::max(1.0, static_cast<double>(picture.width) / small_width);
    s.width = static_cast<int>(picture.width / s.scale);
    s.height = static_cast<int>(picture.height / s.scale);
    s.luma.resize(static_cast<std::size_t>(s.width) * s.height);
    const int step = std::max(1, static_cast<int>(s.scale / 4)); // a few points of each cell are its mean
    for (int y = 0; y < s.height; ++y)
        for (int x = 0; x < s.width; ++x) {
            const int x0 = static_cast<int>(x * s.scale), y0 = static_cast<int>(y * s.scale);
            const int x1 = std::min(picture.width, static_cast<int>((x + 1) * s.scale)),
                      y1 = std::min(picture.height, static_cast<int>((y + 1) * s.scale));
            double sum = 0;
            int n = 0;
            for (int v = y0; v < std::max(y1, y0 + 1); v += step)
                for (int u = x0; u < std::max(x1, x0 + 1); u += step) {
                    const auto* p = picture.rgb.data() + (static_cast<std::size_t>(v) * picture.width + u) * 3;
                    sum += 0.299 * p[0] + 0.587 * p[1] + 0.114 * p[2];
                    ++n;
                }
            s.luma[static_cast<std::size_t>(y) * s.width + x] = static_cast<float>(sum / n);
        }
    if (body) {
        double l = 1e9, t = 1e9, r = -1e9, b = -1e9;
        for (const auto& p : *body) l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
        const double pad = 0.15 * (b - t);
        s.body = {static_cast<int>((l - pad) / s.scale), static_cast<int>((t - pad) / s.scale), static_cast<int>((r + pad) / s.scale),
                  static_cast<int>((b + pad) / s.scale)};
    }
    return s;
}

/// The shift at which the background fits best (least squares of differences, body left out), to parts of a pixel by a parabola.
Vec2 SceneWatch::shift_between(const Small& a, const Small& b) {
    if (a.width != b.width || a.height != b.height) return Vec2::Zero();
    auto inside = [](const std::array<int, 4>& box, int x, int y) { return x >= box[0] && x <= box[2] && y >= box[1] && y <= box[3]; };
    auto cost = [&](int dx, int dy) {
        double sum = 0;
        int n = 0;
        for (int y = reach; y < b.height - reach; ++y)
            for (int x = reach; x < b.width - reach; ++x) {
                if (inside(a.body, x - dx, y - dy) || inside(b.body, x, y)) continue;
                const double d =
                    b.luma[static_cast<std::size_t>(y) * b.width + x] - a.luma[static_cast<std::size_t>(y - dy) * a.width + x - dx];
                sum += d * d;
                ++n;
            }
        return n > 200 ? sum / n : std::numeric_limits<double>::quiet_NaN();
    };
    // Downhill from no shift: a camera on a shelf is there already.
    int dx = 0, dy = 0;
    double best = cost(0, 0);
    if (!std::isfinite(best)) return Vec2::Zero();
    for (bool better = true; better;) {
        better = false;
        for (const auto& [u, v] : {std::pair{1, 0}, {-1, 0}, {0, 1}, {0, -1}, {1, 1}, {-1, -1}, {1, -1}, {-1, 1}}) {
            if (std::abs(dx + u) >= reach || std::abs(dy + v) >= reach) continue;
            const double c = cost(dx + u, dy + v);
            if (c >= best) continue;
            best = c;
            dx += u, dy += v;
            better = true;
            break;
        }
    }
    auto part = [](double l, double m, double r) {
        const double curve = l - 2 * m + r;
        return curve > 1e-9 ? std::clamp(0.5 * (l - r) / curve, -0.5, 0.5) : 0.0;
    };
    return Vec2(dx + part(cost(dx - 1, dy), best, cost(dx + 1, dy)), dy + part(cost(dx, dy - 1), best, cost(dx, dy + 1))) * b.scale;
}

void SceneWatch::look(const sim::Image& picture, double time_s, const std::optional<BodyPx>& body, int people) {
    Small now = shrink(picture, body);
    SceneSample s;
    s.time_s = time_s;
    s.people = people;
    if (people >= 0) counted_ = time_s;
    double sum = 0, squares = 0;
    for (const float v : now.luma) sum += v, squares += v * v;
    const auto n = static_cast<double>(std::max<std::size_t>(1, now.luma.size()));
    s.brightness = sum / n;
    s.contrast = std::sqrt(std::max(0.0, squares / n - s.brightness * s.brightness));
    {
        // Along some rows at full size: of plain edges, how much of the change over eight pixels happens from one to the next.
        constexpr int plain = 30, reach_px = 8;
        double steps = 0;
        int edges = 0;
        for (int y = picture.height / 16; y < picture.height; y += std::max(1, picture.height / 24)) {
            const auto* row = picture.rgb.data() + static_cast<std::size_t>(y) * picture.width * 3;
            for (int x = 0; x + reach_px < picture.width; ++x) {
                const int change = std::abs(row[(x + reach_px) * 3 + 1] - row[x * 3 + 1]);
                if (change < plain) continue;
                int most = 0;
                for (int k = x; k < x + reach_px; ++k) most = std::max(most, std::abs(row[(k + 1) * 3 + 1] - row[k * 3 + 1]));
                steps += std::min(1.0, static_cast<double>(most) / change);
                ++edges;
                x += reach_px; // each edge once
            }
        }
        s.sharpness = edges >= 40 ? steps / edges : 1;
    }
    if (!samples_.empty()) s.shift = shift_between(last_, now);
    last_ = std::move(now);
    samples_.push_back(s);
}

} // namespace bevel
