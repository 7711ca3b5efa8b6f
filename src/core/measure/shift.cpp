#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {

using signal::Series;

namespace {

/// One unbroken stretch of the share.
class Stretch {
public:
    Stretch(std::span<const double> t, std::span<const double> raw, double noise, double wander)
        : t_(t), raw_(raw), noise_(noise), wander_(wander) {}

    void find(std::vector<Shift>& out) const {
        const Series y = signal::low_pass(t_, raw_, 3.0);
        Series down = y;
        for (double& v : down) v = -v;
        const double prominence = std::max(0.06, 3 * noise_);
        std::vector<std::size_t> turns{0, y.size() - 1};
        for (const auto k : signal::prominent_peaks(y, prominence)) turns.push_back(k);
        for (const auto k : signal::prominent_peaks(down, prominence)) turns.push_back(k);
        std::sort(turns.begin(), turns.end());
        for (std::size_t k = 0; k + 1 < turns.size(); ++k) {
            const auto a = turns[k], b = turns[k + 1];
            if (b < a + 4 || std::abs(y[b] - y[a]) < std::max(0.15, 5 * noise_)) continue;
            if (auto s = transfer(y, a, b)) out.push_back(*s);
        }
    }

private:
    /// The transfer between two turning points. The stretch is filtered again as slow as the transfer allows, so that noise does not look
    /// like moving; runs of speed above a tenth of the peak belong to it, what lies between two of them is a halt.
    std::optional<Shift> transfer(const Series& rough, std::size_t a, std::size_t b) const {
        const double up = rough[b] > rough[a] ? 1 : -1, far = std::abs(rough[b] - rough[a]);
        // Time from 10 to 90 % as it first looks.
        auto cross = [&](double part) {
            std::size_t i = a;
            while (i < b && up * (rough[i] - rough[a]) < part * far) ++i;
            return t_[i];
        };
        const double lasts = std::max(0.15, cross(0.9) - cross(0.1));
        const double cutoff = std::clamp(2.6 / lasts, 0.9, 3.0);
        const double rate = signal::median_rate(t_);
        const std::size_t margin = static_cast<std::size_t>(std::max(4.0, 2 * rate / cutoff));
        const std::size_t from = a > margin ? a - margin : 0, to = std::min(t_.size(), b + margin + 1);
        const auto ts = t_.subspan(from, to - from);
        const Series y = signal::low_pass(ts, raw_.subspan(from, to - from), cutoff);
        const Series v = signal::derivative(ts, y);
        const std::size_t lo = a - from, hi = b - from;
        // Noise of found points is slow: the filter leaves it, and takes what is quick out of its slope.
        const double left = noise_, slope = left * 2 * std::numbers::pi * cutoff * 0.3;
        std::size_t fast = lo;
        for (std::size_t i = lo; i <= hi; ++i)
            if (up * v[i] > up * v[fast]) fast = i;
        const double peak = up * v[fast];
        if (peak <= 0) return std::nullopt;
        const double moving = std::max(0.1 * peak, std::min(2 * slope, 0.35 * peak));
        struct Run {
            std::size_t from, to;
        };
        std::vector<Run> runs;
        for (std::size_t i = lo; i <= hi; ++i) {
            if (up * v[i] <= moving) continue;
            std::size_t e = i;
            while (e < hi && up * v[e + 1] > moving) ++e;
            runs.push_back({i, e});
            i = e;
        }
        // A drift on the plateaus before or after is no part of it.
        auto travel = [&](const Run& r) { return up * (y[r.to] - y[r.from]); };
        const double least = std::max(0.18 * far, 3 * left);
        while (runs.size() > 1 && travel(runs.front()) < (ts[runs[1].from] - ts[runs[0].to] < 0.15 ? 0.03 * far : least))
            runs.erase(runs.begin());
        while (runs.size() > 1 && travel(runs.back()) < (ts[runs.back().from] - ts[runs[runs.size() - 2].to] < 0.15 ? 0.03 * far : least))
            runs.pop_back();
        // A small part long before or after the transfer proper is a move of its own.
        double whole = 0;
        for (const auto& r : runs) whole += travel(r);
        double longest = 0;
        for (const auto& r : runs) longest = std::max(longest, ts[r.to] - ts[r.from]);
        const double apart = std::max(1.2, longest);
        while (runs.size() > 1 && ts[runs[1].from] - ts[runs[0].to] > apart && travel(runs.front()) < 0.3 * whole) runs.erase(runs.begin());
        while (runs.size() > 1 && ts[runs.back().from] - ts[runs[runs.size() - 2].to] > apart && travel(runs.back()) < 0.3 * whole)
            runs.pop_back();
        if (runs.empty()) return std::nullopt;
        const std::size_t first = runs.front().from, last = runs.back().to;
        Shift s;
        auto level = [&](std::size_t i, int step) { // beyond the last moving moment, as far as it rests there
            Series part;
            for (auto k = static_cast<std::ptrdiff_t>(i); k >= static_cast<std::ptrdiff_t>(lo) && k <= static_cast<std::ptrdiff_t>(hi);
                 k += step) {
                const auto q = static_cast<std::size_t>(k);
                if (std::abs(ts[q] - ts[i]) > 0.5 || (q != i && up * v[q] > moving)) break;
                part.push_back(y[q]);
            }
            return signal::median(part);
        };
        s.from = level(first, -1);
        s.to = level(last, 1);
        if (up * (s.to - s.from) < std::max(0.12, 4 * noise_)) return std::nullopt;
        auto when = [&](double part) {
            const double at = s.from + part * (s.to - s.from);
            std::size_t i = first > lo ? first - 1 : first;
            while (i < last && up * (y[i + 1] - at) < 0) ++i;
            return std::pair(signal::crossing(ts, y, i, at), std::abs(v[std::min(i + 1, v.size() - 1)]));
        };
        const auto [start, v_start] = when(0.1);
        const auto [end, v_end] = when(0.9);
        s.start_s = start;
        s.end_s = std::max(start, end);
        s.onset_s = first > lo ? signal::crossing(ts, v, first - 1, up * moving) : ts[first];
        // A threshold raised by noise is passed later than a tenth of the peak. An even shift (least jerk) passes it 1.13 times as long
        // before its first tenth as it takes from there to three tenths of the way.
        const double third = when(0.3).first, shaped = s.start_s - 1.13 * std::max(0.0, third - s.start_s);
        const double sure = std::clamp((0.2 - moving / peak) / 0.1, 0.0, 1.0), apart_s = std::abs(s.onset_s - shaped);
        s.onset_s = sure * s.onset_s + (1 - sure) * shaped;
        s.onset_s = std::min(s.onset_s, s.start_s);
        // The same the other way round for where it comes to rest.
        const double rests = last < hi ? signal::crossing(ts, v, last, up * moving) : ts[last],
                     shaped_rest = s.end_s + 1.13 * std::max(0.0, s.end_s - when(0.7).first);
        s.rest_s = std::max(s.end_s, sure * rests + (1 - sure) * shaped_rest);
        for (std::size_t k = 0; k + 1 < runs.size(); ++k)
            if (const double halt = ts[runs[k + 1].from] - ts[runs[k].to]; halt > s.stop_s) {
                s.stop_s = halt;
                s.stop_at_s = 0.5 * (ts[runs[k + 1].from] + ts[runs[k].to]);
            }
        Series speed;
        for (std::size_t i = first; i <= last; ++i) speed.push_back(up * v[i]);
        s.peaks = static_cast<int>(std::max<std::size_t>(1, signal::prominent_peaks(speed, std::max(0.3 * peak, 3 * slope)).size()));
        const double frame = 0.3 / std::max(rate, 1.0);
        const double slow = std::max(0.25 * peak, 0.5 * (v_start + v_end));
        // The level at the crossing and the plateau it is counted from are both off by the noise and by what wanders with the posture.
        s.sigma_s = std::hypot(frame, 0.02 * lasts, 1.35 * std::hypot(left, wander_) / slow);
        s.onset_sigma_s = std::hypot(0.04 * lasts, 1.8 * s.sigma_s, 0.6 * apart_s);
        s.stop_sigma_s = std::hypot(frame, std::hypot(noise_, 0.6 * wander_) / (far / lasts));
        return s;
    }

    std::span<const double> t_, raw_;
    double noise_, wander_;
};

} // namespace

std::vector<Shift> find_shifts(const std::vector<double>& t, const std::vector<double>& share, double noise, double wander) {
    std::vector<Shift> out;
    for (const auto& [from, to] : signal::finite_runs(share)) {
        if (to - from < 8) continue;
        Stretch(std::span(t).subspan(from, to - from), std::span(share).subspan(from, to - from), noise, wander).find(out);
    }
    return out;
}

} // namespace bevel
