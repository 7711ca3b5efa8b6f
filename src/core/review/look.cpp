#include "core/review/look.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {
constexpr int wide = 48, high = 27;
}

std::string look_of(const sim::Image& im, const std::optional<BodyPx>& body) {
    if (im.width < wide || im.height < high) return {};
    double l = 1e9, t = 1e9, r = -1e9, b = -1e9;
    if (body) {
        for (const auto& p : *body) l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
        const double pad = 0.2 * (b - t);
        l -= pad, r += pad, t -= pad, b += pad;
    }
    std::string out(static_cast<std::size_t>(wide) * high, '\0');
    for (int v = 0; v < high; ++v)
        for (int u = 0; u < wide; ++u) {
            const int x0 = u * im.width / wide, x1 = (u + 1) * im.width / wide, y0 = v * im.height / high, y1 = (v + 1) * im.height / high;
            if (body && x1 > l && x0 < r && y1 > t && y0 < b) continue;
            const int step = std::max(1, (x1 - x0) / 6);
            double sum = 0;
            int n = 0;
            for (int y = y0; y < y1; y += step)
                for (int x = x0; x < x1; x += step) {
                    const auto* p = im.rgb.data() + (static_cast<std::size_t>(y) * im.width + x) * 3;
                    sum += 0.299 * p[0] + 0.587 * p[1] + 0.114 * p[2];
                    ++n;
                }
            out[static_cast<std::size_t>(v) * wide + u] =
                static_cast<char>(static_cast<unsigned char>(std::clamp(sum / std::max(1, n), 1.0, 255.0)));
        }
    return out;
}

double same_room(const std::string& a, const std::string& b) {
    if (a.size() != static_cast<std::size_t>(wide) * high || b.size() != a.size()) return 0;
    double n = 0, sa = 0, sb = 0, saa = 0, sbb = 0, sab = 0;
    for (std::size_t i = 0; i < a.size(); ++i) {
        const double x = static_cast<unsigned char>(a[i]), y = static_cast<unsigned char>(b[i]);
        if (x == 0 || y == 0) continue;
        ++n;
        sa += x, sb += y, saa += x * x, sbb += y * y, sab += x * y;
    }
    if (n < 0.33 * static_cast<double>(a.size())) return 0;
    const double va = saa / n - sa * sa / n / n, vb = sbb / n - sb * sb / n / n;
    if (va < 4 || vb < 4) return 0;
    return (sab / n - sa * sb / n / n) / std::sqrt(va * vb);
}

} // namespace bevel
