#include "core/signal/signal.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numbers>

namespace bevel::signal {
namespace {

constexpr double nan = std::numeric_limits<double>::quiet_NaN();

struct Biquad {
    double b0, b1, b2, a1, a2;
};

Biquad butter2(double rate, double cutoff) {
    const double k = std::tan(std::numbers::pi * cutoff / rate);
    const double norm = 1.0 / (1.0 + std::numbers::sqrt2 * k + k * k);
    return {k * k * norm, 2 * k * k * norm, k * k * norm, 2 * (k * k - 1) * norm, (1 - std::numbers::sqrt2 * k + k * k) * norm};
}

void run_in_place(const Biquad& f, Series& x) {
    // Direct form II transposed, started in the steady state of the first sample.
    const double x0 = x.front();
    double z2 = (f.b2 - f.a2) * x0;
    double z1 = (f.b1 - f.a1) * x0 + z2;
    for (double& v : x) {
        const double in = v;
        const double out = f.b0 * in + z1;
        z1 = f.b1 * in - f.a1 * out + z2;
        z2 = f.b2 * in - f.a2 * out;
        v = out;
    }
}

} // namespace

Series butterworth_zero_phase(std::span<const double> x, double rate_hz, double cutoff_hz) {
    Series in(x.begin(), x.end());
    if (x.size() < 2 || rate_hz <= 0) return in;
    // Two runs square the magnitude; the single-run cutoff is raised so that both together are -3 dB at cutoff_hz.
    const double warped = std::tan(std::numbers::pi * cutoff_hz / rate_hz) / std::pow(std::numbers::sqrt2 - 1.0, 0.25);
    const double single = std::atan(warped) * rate_hz / std::numbers::pi;
    if (cutoff_hz >= 0.45 * rate_hz || single >= 0.49 * rate_hz) return in;
    const Biquad f = butter2(rate_hz, single);
    const auto n = x.size();
    const auto pad =
        std::min<std::size_t>(n - 1, static_cast<std::size_t>(std::ceil(4 * rate_hz / cutoff_hz)) /* the start has died away to 1e-7 */);
    Series ext;
    ext.reserve(n + 2 * pad);
    for (std::size_t i = pad; i > 0; --i) ext.push_back(2 * x[0] - x[i]);
    ext.insert(ext.end(), x.begin(), x.end());
    for (std::size_t i = 1; i <= pad; ++i) ext.push_back(2 * x[n - 1] - x[n - 1 - i]);
    run_in_place(f, ext);
    std::reverse(ext.begin(), ext.end());
    run_in_place(f, ext);
    std::reverse(ext.begin(), ext.end());
    return {ext.begin() + static_cast<std::ptrdiff_t>(pad), ext.begin() + static_cast<std::ptrdiff_t>(pad + n)};
}

void smooth_weighted(std::span<const double> t, std::span<const double> w, double cutoff_hz, std::span<double> x, std::span<double> y) {
    const auto n = t.size();
    if (n < 5) return;
    // Symmetric band matrix of half width 3, row i holding its elements (i, i-3) to (i, i); factored as L D L' in place.
    std::vector<std::array<double, 4>> a(n, {0, 0, 0, 0});
    for (std::size_t i = 0; i < n; ++i) a[i][3] = w[i] + 1e-12;
    for (std::size_t i = 0; i + 3 < n; ++i) {
        const double h = (t[i + 3] - t[i]) / 3;
        if (cutoff_hz * h >= 0.45) continue;
        const double k = (std::numbers::sqrt2 - 1) / std::pow(2 * std::sin(std::numbers::pi * cutoff_hz * h), 6);
        std::array<double, 4> d{};
        for (std::size_t p = 0; p < 4; ++p) {
            double product = 1;
            for (std::size_t q = 0; q < 4; ++q)
                if (q != p) product *= (t[i + p] - t[i + q]) / h;
            d[p] = 6 / product;
        }
        for (std::size_t p = 0; p < 4; ++p)
            for (std::size_t q = 0; q <= p; ++q) a[i + p][3 - (p - q)] += k * d[p] * d[q];
    }
    for (std::size_t i = 0; i < n; ++i) x[i] *= w[i], y[i] *= w[i];
    for (std::size_t i = 0; i < n; ++i) {
        for (std::size_t p = std::min<std::size_t>(3, i); p > 0; --p) {
            const std::size_t j = i - p;
            double v = a[i][3 - p];
            for (std::size_t q = p + 1; q <= std::min<std::size_t>(3, i); ++q)
                if (q - p <= 3) v -= a[i][3 - q] * a[j][3 - (q - p)] * a[i - q][3];
            a[i][3 - p] = v / a[j][3];
        }
        for (std::size_t p = 1; p <= std::min<std::size_t>(3, i); ++p) {
            a[i][3] -= a[i][3 - p] * a[i][3 - p] * a[i - p][3];
            x[i] -= a[i][3 - p] * x[i - p];
            y[i] -= a[i][3 - p] * y[i - p];
        }
    }
    for (std::size_t i = 0; i < n; ++i) x[i] /= a[i][3], y[i] /= a[i][3];
    for (std::size_t i = n; i-- > 0;)
        for (std::size_t p = 1; p <= 3 && i + p < n; ++p) {
            x[i] -= a[i + p][3 - p] * x[i + p];
            y[i] -= a[i + p][3 - p] * y[i + p];
        }
}

Series monotone_slopes(std::span<const double> t, std::span<const double> y) {
    const auto n = t.size();
    Series m(n, 0.0);
    for (std::size_t i = 1; i + 1 < n; ++i) {
        const double h0 = t[i] - t[i - 1], h1 = t[i + 1] - t[i];
        const double d0 = (y[i] - y[i - 1]) / h0, d1 = (y[i + 1] - y[i]) / h1;
        if (d0 * d1 <= 0) continue;
        const double w0 = 2 * h1 + h0, w1 = h1 + 2 * h0;
        m[i] = (w0 + w1) / (w0 / d0 + w1 / d1);
    }
    return m;
}

double quintic(double y0, double m0, double y1, double m1, double h, double u) {
    const double u2 = u * u, u3 = u2 * u;
    const double blend = u3 * (10 - 15 * u + 6 * u2);
    const double start = u - u3 * (6 - 8 * u + 3 * u2);
    const double end = -u3 * (4 - 7 * u + 3 * u2);
    return y0 + (y1 - y0) * blend + h * (m0 * start + m1 * end);
}

Series resample(std::span<const double> t, std::span<const double> y, std::span<const double> at) {
    Series out;
    out.reserve(at.size());
    // A few times in a long series: begin beside the first of them.
    std::size_t i = 0;
    if (!at.empty() && !t.empty())
        i = static_cast<std::size_t>(std::max<std::ptrdiff_t>(0, std::lower_bound(t.begin(), t.end(), at.front()) - t.begin() - 1));
    for (const double a : at) {
        if (t.empty()) {
            out.push_back(nan);
            continue;
        }
        if (a <= t.front()) {
            out.push_back(y.front());
            continue;
        }
        if (a >= t.back()) {
            out.push_back(y.back());
            continue;
        }
        if (i > 0 && t[i] > a) i = 0;
        while (i + 2 < t.size() && t[i + 1] <= a) ++i;
        const double u = (a - t[i]) / (t[i + 1] - t[i]);
        out.push_back(u <= 0 ? y[i] : u >= 1 ? y[i + 1] : y[i] + u * (y[i + 1] - y[i]));
    }
    return out;
}

Series uniform_grid(std::span<const double> t, double rate_hz) {
    Series g;
    if (t.empty()) return g;
    const auto n = static_cast<std::size_t>(std::floor((t.back() - t.front()) * rate_hz + 1e-9)) + 1;
    g.reserve(n);
    for (std::size_t i = 0; i < n; ++i) g.push_back(t.front() + static_cast<double>(i) / rate_hz);
    return g;
}

double median_rate(std::span<const double> t) {
    if (t.size() < 2) return 0;
    Series d;
    for (std::size_t i = 1; i < t.size(); ++i) d.push_back(t[i] - t[i - 1]);
    const double m = median(d);
    return m > 0 ? 1.0 / m : 0;
}

Series fill_gaps(std::span<const double> t, std::span<const double> y, double max_gap_s) {
    Series out(y.begin(), y.end());
    const auto n = y.size();
    for (std::size_t i = 0; i < n;) {
        if (std::isfinite(y[i])) {
            ++i;
            continue;
        }
        std::size_t j = i;
        while (j < n && !std::isfinite(y[j])) ++j;
        if (i > 0 && j < n && t[j] - t[i - 1] <= max_gap_s + 1e-9) {
            const double h = t[j] - t[i - 1];
            const bool before = i > 1 && std::isfinite(y[i - 2]), after = j + 1 < n && std::isfinite(y[j + 1]);
            const double chord = (y[j] - y[i - 1]) / h;
            const double m0 = before ? (y[i - 1] - y[i - 2]) / (t[i - 1] - t[i - 2]) : chord;
            const double m1 = after ? (y[j + 1] - y[j]) / (t[j + 1] - t[j]) : chord;
            for (std::size_t k = i; k < j; ++k) {
                const double u = (t[k] - t[i - 1]) / h, u2 = u * u, u3 = u2 * u;
                out[k] = (2 * u3 - 3 * u2 + 1) * y[i - 1] + (u3 - 2 * u2 + u) * h * m0 + (3 * u2 - 2 * u3) * y[j] + (u3 - u2) * h * m1;
            }
        }
        i = j;
    }
    return out;
}

Series derivative(std::span<const double> t, std::span<const double> y) {
    const auto n = y.size();
    Series d(n, nan);
    for (std::size_t i = 0; i < n; ++i) {
        const std::size_t a = i > 0 && std::isfinite(y[i - 1]) ? i - 1 : i;
        const std::size_t b = i + 1 < n && std::isfinite(y[i + 1]) ? i + 1 : i;
        if (a != b && std::isfinite(y[i])) d[i] = (y[b] - y[a]) / (t[b] - t[a]);
    }
    return d;
}

Series low_pass(std::span<const double> t, std::span<const double> y, double cutoff_hz) {
    Series out(y.begin(), y.end());
    double rate = 0;
    for (const auto& [from, to] : finite_runs(y)) {
        if (to - from < 4) continue;
        const auto ts = t.subspan(from, to - from);
        const auto ys = y.subspan(from, to - from);
        const double step = (ts.back() - ts.front()) / static_cast<double>(ts.size() - 1);
        bool even = step > 0;
        for (std::size_t i = 1; even && i < ts.size(); ++i) even = std::abs(ts[i] - ts[i - 1] - step) < 0.01 * step;
        if (even) { // nothing to resample
            const Series f = butterworth_zero_phase(ys, 1 / step, cutoff_hz);
            std::copy(f.begin(), f.end(), out.begin() + static_cast<std::ptrdiff_t>(from));
            continue;
        }
        if (rate <= 0) rate = median_rate(t);
        const Series grid = uniform_grid(ts, rate);
        Series g = butterworth_zero_phase(resample(ts, ys, grid), rate, cutoff_hz);
        const Series back = resample(grid, g, ts);
        std::copy(back.begin(), back.end(), out.begin() + static_cast<std::ptrdiff_t>(from));
    }
    return out;
}

double quantile(std::span<const double> y, double q) {
    Series v;
    for (const double x : y)
        if (std::isfinite(x)) v.push_back(x);
    if (v.empty()) return nan;
    const double pos = q * static_cast<double>(v.size() - 1);
    const auto i = static_cast<std::size_t>(pos);
    const double u = pos - static_cast<double>(i);
    const auto at = v.begin() + static_cast<std::ptrdiff_t>(i);
    std::nth_element(v.begin(), at, v.end());
    if (i + 1 >= v.size()) return *at;
    return *at + u * (*std::min_element(at + 1, v.end()) - *at);
}

std::vector<std::pair<std::size_t, std::size_t>> finite_runs(std::span<const double> y) {
    std::vector<std::pair<std::size_t, std::size_t>> runs;
    for (std::size_t i = 0; i < y.size();) {
        if (!std::isfinite(y[i])) {
            ++i;
            continue;
        }
        std::size_t j = i;
        while (j < y.size() && std::isfinite(y[j])) ++j;
        runs.emplace_back(i, j);
        i = j;
    }
    return runs;
}

std::vector<std::size_t> prominent_peaks(std::span<const double> y, double prominence) {
    std::vector<std::size_t> out;
    const auto n = y.size();
    for (std::size_t i = 0; i < n; ++i) {
        if (!std::isfinite(y[i])) continue;
        std::size_t e = i; // a plateau counts once, at its first sample
        while (e + 1 < n && y[e + 1] == y[i]) ++e;
        const bool up = i == 0 || y[i - 1] < y[i], down = e + 1 >= n || y[e + 1] < y[i];
        if (!up || !down) continue;
        double left = y[i], right = y[i];
        for (std::size_t k = i; k-- > 0 && y[k] <= y[i];) left = std::min(left, y[k]);
        for (std::size_t k = e + 1; k < n && y[k] <= y[i]; ++k) right = std::min(right, y[k]);
        if (y[i] - std::max(left, right) >= prominence) out.push_back(i);
        i = e;
    }
    return out;
}

double crossing(std::span<const double> t, std::span<const double> y, std::size_t i, double level) {
    if (i + 1 >= y.size() || y[i + 1] == y[i]) return t[i];
    const double u = std::clamp((level - y[i]) / (y[i + 1] - y[i]), 0.0, 1.0);
    return t[i] + u * (t[i + 1] - t[i]);
}

} // namespace bevel::signal
