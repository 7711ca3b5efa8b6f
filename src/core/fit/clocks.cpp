#include "core/fit/clocks.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numeric>

namespace bevel {
namespace {

using signal::Series;

constexpr double step_s = 0.05;
constexpr std::array<Point, 12> shown{left_wrist, right_wrist, left_elbow, right_elbow, left_hip,   right_hip,
                                      left_ear,   right_ear,   left_knee,  right_knee,  left_ankle, right_ankle};

/// Speeds upwards on a common step, m/s, one row a point, and the variance of their errors; NaN where nobody is seen.
struct Heights {
    double from_s = 0;
    std::array<Series, shown.size()> speed, variance;
    std::size_t size() const { return speed.front().size(); }
};

Heights heights_of(const Motion& m) {
    Heights h;
    if (m.frames() < 2) return h;
    h.from_s = m.time_s.front();
    Series grid;
    for (double t = m.time_s.front(); t <= m.time_s.back(); t += step_s) grid.push_back(t);
    for (std::size_t k = 0; k < shown.size(); ++k) {
        Series y(m.frames(), NAN), noise(m.frames(), NAN);
        for (std::size_t i = 0; i < m.frames(); ++i) {
            if (!m.valid[i]) continue;
            y[i] = m.m[i][index_of(shown[k])].y();
            // Errors wander within a quarter of a second; what is not known of the depth makes speeds larger or smaller by a tenth.
            noise[i] = std::pow(0.02, 2) + std::pow(m.sigma[i][index_of(shown[k])].up / 0.25, 2);
        }
        const Series even = signal::low_pass(grid, signal::resample(m.time_s, y, grid), 2.0);
        h.speed[k] = signal::derivative(grid, even);
        h.variance[k] = signal::resample(m.time_s, noise, grid);
    }
    return h;
}

/// How alike both are when the second is moved by so many steps: the cosine over all points and moments in common; `only`: steps of the
/// first.
struct Alike {
    double cosine = 0;
    std::size_t common = 0;
};
Alike alike_at(const Heights& a, const Heights& b, long shift, std::optional<std::pair<long, long>> only = {}) {
    double xy = 0, xx = 0, yy = 0;
    long from = std::max(0L, shift), to = std::min(static_cast<long>(a.size()), static_cast<long>(b.size()) + shift);
    if (only) from = std::max(from, only->first), to = std::min(to, only->second);
    for (std::size_t k = 0; k < shown.size(); ++k)
        for (long i = from; i < to; ++i) {
            const auto ia = static_cast<std::size_t>(i), ib = static_cast<std::size_t>(i - shift);
            const double x = a.speed[k][ia], y = b.speed[k][ib];
            if (!std::isfinite(x) || !std::isfinite(y)) continue;
            const double w = 1 / (a.variance[k][ia] + b.variance[k][ib]);
            xy += w * x * y, xx += w * x * x, yy += w * y * y;
        }
    return {xx > 0 && yy > 0 ? xy / std::sqrt(xx * yy) : 0, to > from ? static_cast<std::size_t>(to - from) : 0};
}

} // namespace

namespace {

/// The offset at a peak of the correlation, between its steps.
Clocks at_peak(const std::vector<double>& cosine, std::size_t best, double first_s, const Alike& there) {
    Clocks c;
    c.alike = std::max(0.0, cosine[best]);
    double between = 0, curve = 0;
    if (best > 0 && best + 1 < cosine.size()) {
        curve = 2 * cosine[best] - cosine[best - 1] - cosine[best + 1];
        if (curve > 1e-9) between = std::clamp(0.5 * (cosine[best + 1] - cosine[best - 1]) / curve, -0.5, 0.5);
    }
    c.offset_s = first_s + (static_cast<double>(best) + between) * step_s;
    c.common_s = static_cast<double>(there.common) * step_s;
    // The peak of a correlation of n independent moments: variance (1 - c^2) / (n curve). Points wander together for a third of a second.
    const double independent = std::max(1.0, c.common_s / 0.33) * 4; // about four parts of the body move apart from each other
    c.sigma_s = curve > 1e-9 ? step_s * std::sqrt(std::max(0.0, 1 - c.alike * c.alike) / (independent * curve)) : 0.5;
    c.sigma_s = std::clamp(c.sigma_s, 0.005, 0.5);
    return c;
}

double drift_at(const Heights& a, const Heights& b, long shift) {
    constexpr int parts = 3;
    const long about = static_cast<long>(1.5 / step_s);
    const long from = std::max(0L, shift), to = std::min(static_cast<long>(a.size()), static_cast<long>(b.size()) + shift);
    double gain = 0;
    for (int part = 0; part < parts; ++part) {
        const std::pair<long, long> only{from + (to - from) * part / parts, from + (to - from) * (part + 1) / parts};
        double best = -1;
        for (long d = -about; d <= about; ++d) best = std::max(best, alike_at(a, b, shift + d, only).cosine);
        gain += (best - alike_at(a, b, shift, only).cosine) / parts;
    }
    return gain;
}

/// Who puts up two phones has most of what one shows on the other too.
long least_in_common(const Heights& a, const Heights& b, double least_common_s) {
    return std::max(static_cast<long>(std::ceil(least_common_s / step_s)), static_cast<long>(std::min(a.size(), b.size()) / 2));
}

} // namespace

std::optional<Clocks> clocks_at(const Motion& first, const Motion& second, double offset_s, double least_common_s) {
    const Heights a = heights_of(first), b = heights_of(second);
    if (a.size() == 0 || b.size() == 0) return std::nullopt;
    const long shift = std::lround((offset_s - (a.from_s - b.from_s)) / step_s);
    if (std::min(static_cast<long>(a.size()), static_cast<long>(b.size()) + shift) - std::max(0L, shift) <
        least_in_common(a, b, least_common_s))
        return std::nullopt;
    const Alike there = alike_at(a, b, shift);
    Clocks c;
    c.offset_s = offset_s;
    c.alike = std::max(0.0, there.cosine);
    c.common_s = static_cast<double>(there.common) * step_s;
    c.drifts = drift_at(a, b, shift);
    return c;
}

std::vector<Clocks> clocks_of(const Motion& first, const Motion& second, double most_offset_s, double least_common_s) {
    const Heights a = heights_of(first), b = heights_of(second);
    if (a.size() == 0 || b.size() == 0) return {};
    const double starts = a.from_s - b.from_s; // offset of shift 0
    const long least = least_in_common(a, b, least_common_s);
    const long low = std::max(-static_cast<long>(b.size()) + least, static_cast<long>(std::floor((-most_offset_s - starts) / step_s))),
               high = std::min(static_cast<long>(a.size()) - least, static_cast<long>(std::ceil((most_offset_s - starts) / step_s)));
    std::vector<double> cosine;
    for (long s = low; s <= high; ++s) cosine.push_back(alike_at(a, b, s).cosine);
    constexpr std::size_t most = 4;
    constexpr double apart_s = 0.5, least_alike = 0.3, behind = 0.25;
    std::vector<std::size_t> order(cosine.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t x, std::size_t y) { return cosine[x] > cosine[y]; });
    std::vector<std::size_t> peaks;
    for (const auto i : order) {
        if (peaks.size() == most || cosine[i] < least_alike || cosine[i] < cosine[order.front()] - behind) break;
        if ((i > 0 && cosine[i - 1] > cosine[i]) || (i + 1 < cosine.size() && cosine[i + 1] > cosine[i])) continue;
        const auto near = [&](std::size_t p) { return static_cast<double>(std::max(p, i) - std::min(p, i)) * step_s < apart_s; };
        if (std::none_of(peaks.begin(), peaks.end(), near)) peaks.push_back(i);
    }
    std::vector<Clocks> out;
    for (const auto i : peaks) {
        out.push_back(at_peak(cosine, i, starts + static_cast<double>(low) * step_s, alike_at(a, b, low + static_cast<long>(i))));
        out.back().drifts = drift_at(a, b, low + static_cast<long>(i));
    }
    return out;
}

} // namespace bevel
