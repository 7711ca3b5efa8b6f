#include "core/fit/sounds.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>
#include <unsupported/Eigen/FFT>

namespace bevel {
namespace {

constexpr std::size_t window = 256; // 32 ms
constexpr auto hop = static_cast<std::size_t>(sound_step_s * sound_trace_rate);
constexpr std::array<double, sound_bands + 1> edges_hz{150, 300, 600, 1000, 1600, 2500, 3800};

/// Takes out what is slower than a second, and keeps one bang from saying everything.
void level(std::vector<std::array<float, sound_bands>>& rows) {
    const auto half = static_cast<std::size_t>(0.5 / sound_step_s);
    for (std::size_t b = 0; b < sound_bands; ++b) {
        std::vector<double> sum(rows.size() + 1, 0);
        for (std::size_t i = 0; i < rows.size(); ++i) sum[i + 1] = sum[i] + rows[i][b];
        std::vector<double> y(rows.size());
        double squares = 0;
        for (std::size_t i = 0; i < rows.size(); ++i) {
            const std::size_t from = i > half ? i - half : 0, to = std::min(rows.size(), i + half);
            y[i] = rows[i][b] - (sum[to] - sum[from]) / static_cast<double>(to - from);
            squares += y[i] * y[i];
        }
        const double usual = std::sqrt(squares / static_cast<double>(std::max<std::size_t>(1, rows.size())));
        for (std::size_t i = 0; i < rows.size(); ++i) rows[i][b] = usual > 1e-9 ? static_cast<float>(std::tanh(y[i] / (3 * usual))) : 0.0F;
    }
}

/// Cross-correlation over all shifts by way of the transform, summed over bands; [shift mod size].
std::vector<float> correlated(const SoundTrace& a, const SoundTrace& b, std::size_t size) {
    Eigen::FFT<float> fft;
    std::vector<std::complex<float>> fa, fb, all(size, 0);
    std::vector<float> x(size), out;
    const auto transformed = [&](const SoundTrace& s, std::size_t band, std::vector<std::complex<float>>& into) {
        std::fill(x.begin(), x.end(), 0.0F);
        for (std::size_t i = 0; i < s.rise.size(); ++i) x[i] = s.rise[i][band];
        fft.fwd(into, x);
    };
    for (std::size_t band = 0; band < sound_bands; ++band) {
        transformed(a, band, fa);
        transformed(b, band, fb);
        for (std::size_t i = 0; i < size; ++i) all[i] += fa[i] * std::conj(fb[i]);
    }
    fft.inv(out, all);
    return out;
}

std::vector<double> squares_up_to(const SoundTrace& s) {
    std::vector<double> sum(s.rise.size() + 1, 0);
    for (std::size_t i = 0; i < s.rise.size(); ++i) {
        double v = 0;
        for (const float x : s.rise[i]) v += static_cast<double>(x) * x;
        sum[i + 1] = sum[i] + v;
    }
    return sum;
}

} // namespace

SoundTrace trace_of(std::span<const float> samples, double from_s) {
    SoundTrace out;
    out.from_s = from_s + 0.5 * static_cast<double>(window) / sound_trace_rate;
    if (samples.size() < 2 * window) return out;
    std::array<float, window> shape{};
    for (std::size_t i = 0; i < window; ++i)
        shape[i] = static_cast<float>(0.5 - 0.5 * std::cos(2 * std::numbers::pi * static_cast<double>(i) / window));
    Eigen::FFT<float> fft;
    std::vector<float> piece(window);
    std::vector<std::complex<float>> spectrum;
    std::vector<std::array<float, sound_bands>> loud;
    for (std::size_t at = 0; at + window <= samples.size(); at += hop) {
        for (std::size_t i = 0; i < window; ++i) piece[i] = std::isfinite(samples[at + i]) ? shape[i] * samples[at + i] : 0.0F;
        fft.fwd(spectrum, piece);
        std::array<float, sound_bands> row{};
        for (std::size_t b = 0; b < sound_bands; ++b) {
            const auto from = static_cast<std::size_t>(edges_hz[b] * window / sound_trace_rate),
                       to = static_cast<std::size_t>(edges_hz[b + 1] * window / sound_trace_rate);
            for (std::size_t k = from; k < to; ++k) row[b] += std::norm(spectrum[k]);
        }
        loud.push_back(row);
    }
    // Decibels over what is always there; below it nothing is heard.
    for (std::size_t b = 0; b < sound_bands; ++b) {
        std::vector<double> v;
        for (std::size_t i = 0; i < loud.size(); i += 4) v.push_back(loud[i][b]);
        const auto floor = static_cast<float>(std::max(1e-9, signal::quantile(v, 0.2)));
        for (auto& row : loud) row[b] = std::log(1 + row[b] / floor);
    }
    constexpr std::size_t over = 3; // 15 ms
    out.rise.resize(loud.size());
    for (std::size_t i = 0; i < loud.size(); ++i)
        for (std::size_t b = 0; b < sound_bands; ++b) out.rise[i][b] = i < over ? 0.0F : std::max(0.0F, loud[i][b] - loud[i - over][b]);
    level(out.rise);
    return out;
}

std::optional<Clocks> clocks_by_sound(const SoundTrace& a, const SoundTrace& b, double least_common_s) {
    const auto na = static_cast<long>(a.rise.size()), nb = static_cast<long>(b.rise.size()),
               least = static_cast<long>(least_common_s / sound_step_s);
    if (na < least || nb < least) return std::nullopt;
    std::size_t size = 1;
    while (size < a.rise.size() + b.rise.size()) size *= 2;
    const auto raw = correlated(a, b, size);
    const auto sa = squares_up_to(a), sb = squares_up_to(b);
    if (sa.back() <= 0 || sb.back() <= 0) return std::nullopt;
    // How far each shift stands out of what chance gives there: correlations of n independent rows spread by 1 / sqrt(n).
    struct At {
        long shift;
        double cosine, score;
    };
    std::vector<At> all;
    std::vector<double> sizes;
    for (long s = least - nb; s <= na - least; ++s) {
        const long from = std::max(0L, s), to = std::min(na, nb + s);
        const double xx = sa[static_cast<std::size_t>(to)] - sa[static_cast<std::size_t>(from)],
                     yy = sb[static_cast<std::size_t>(to - s)] - sb[static_cast<std::size_t>(from - s)];
        if (xx < 1e-6 || yy < 1e-6) continue;
        const double c = raw[static_cast<std::size_t>(s < 0 ? s + static_cast<long>(size) : s)] / std::sqrt(xx * yy);
        all.push_back({s, c, c * std::sqrt(static_cast<double>(to - from))});
        sizes.push_back(std::abs(all.back().score));
    }
    if (all.size() < 100) return std::nullopt;
    const double chance = 1.4826 * signal::median(sizes);
    std::size_t best = 0;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all[i].score > all[best].score) best = i;
    // A beat fits itself nearly as well one beat on. Made sound (tests/support/heard.h), noise up to 0.8 of it: one hour stands out by 8.4
    // to 31 and over the next best by 2.15 to 5.5; of 435 pairs of other hours none by more than 8.8 and 1.76.
    constexpr double stands_out = 8, over_next = 2, near_s = 0.12;
    double next = 0;
    for (const auto& x : all)
        if (std::abs(static_cast<double>(x.shift - all[best].shift)) * sound_step_s > near_s) next = std::max(next, x.score);
    const double z = chance > 0 ? all[best].score / chance : 0;
    if (z < stands_out || all[best].score < over_next * next) return std::nullopt;
    Clocks c;
    double between = 0;
    if (best > 0 && best + 1 < all.size()) {
        const double before = all[best - 1].score, after = all[best + 1].score, curve = 2 * all[best].score - before - after;
        if (curve > 1e-9) between = std::clamp(0.5 * (after - before) / curve, -0.5, 0.5);
    }
    c.offset_s = a.from_s - b.from_s + (static_cast<double>(all[best].shift) + between) * sound_step_s;
    c.alike = std::clamp(all[best].cosine, 0.0, 1.0);
    c.common_s = static_cast<double>(std::min(na, nb + all[best].shift) - std::max(0L, all[best].shift)) * sound_step_s;
    // The peak is as wide as a window; distances to what sounds differ by up to some metres; phones keep sound and pictures together to
    // about half a frame of thirty.
    constexpr double wide_s = 0.016, way_s = 0.008, together_s = 0.015;
    c.sigma_s = std::hypot(wide_s / z, way_s, together_s);
    return c;
}

} // namespace bevel
