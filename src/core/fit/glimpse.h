// A shot's points between its frames. Used by fit.cpp alone.
#pragma once
#include "core/fit/fit.h"
#include <algorithm>

namespace bevel::fit {

/// A shot's points at a moment, between its frames; nothing where it has no body near it.
struct Glimpse {
    BodyPx px;
    std::array<Vec2, point_count> speed;
};

class Glimpses {
public:
    explicit Glimpses(const FitShot& shot) : t_(shot.track), offset_s_(shot.offset_s) {}
    std::optional<Glimpse> at(double time_s) const {
        constexpr double gap_s = 0.25;
        const double t = time_s - offset_s_;
        const auto next = std::lower_bound(t_.time_s.begin(), t_.time_s.end(), t);
        if (next == t_.time_s.begin() || next == t_.time_s.end()) return std::nullopt;
        const auto j = static_cast<std::size_t>(next - t_.time_s.begin()), i = j - 1;
        const double span = t_.time_s[j] - t_.time_s[i];
        if (!t_.px[i] || !t_.px[j] || span > gap_s) return std::nullopt;
        const double u = (t - t_.time_s[i]) / span;
        Glimpse g;
        for (std::size_t p = 0; p < point_count; ++p) {
            const PicturePoint &a = (*t_.px[i])[p], &b = (*t_.px[j])[p];
            PicturePoint& q = g.px[p];
            const auto mix = [u](double x, double y) { return x + u * (y - x); };
            q = {mix(a.x, b.x),
                 mix(a.y, b.y),
                 mix(a.visibility, b.visibility),
                 mix(a.sigma, b.sigma),
                 mix(a.bias, b.bias),
                 mix(a.sigma_up, b.sigma_up),
                 mix(a.bias_up, b.bias_up)};
            g.speed[p] = Vec2(b.x - a.x, b.y - a.y) / span;
        }
        return g;
    }

private:
    const Track& t_;
    double offset_s_;
};

} // namespace bevel::fit
