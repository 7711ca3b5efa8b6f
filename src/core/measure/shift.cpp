#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {

using signal::Series;

std::vector<Shift> find_shifts(const std::vector<double>& t, const std::vector<double>& share, double noise) {
    std::vector<Shift> out;
    const Series smooth = signal::low_pass(t, share, 2.5);
    for (const auto& [from, to] : signal::finite_runs(smooth)) {
        if (to - from < 6) continue;
        const std::vector<double> y(smooth.begin() + static_cast<std::ptrdiff_t>(from), smooth.begin() + static_cast<std::ptrdiff_t>(to));
        const std::vector<double> ts(t.begin() + static_cast<std::ptrdiff_t>(from), t.begin() + static_cast<std::ptrdiff_t>(to));
        Series low = y;
        for (double& v : low) v = -v;
        const double prominence = 0.12 + 2 * noise;
        std::vector<std::pair<std::size_t, int>> turns;
        for (const auto k : signal::prominent_peaks(y, prominence)) turns.emplace_back(k, 1);
        for (const auto k : signal::prominent_peaks(low, prominence)) turns.emplace_back(k, -1);
        turns.emplace_back(0, 0);
        turns.emplace_back(y.size() - 1, 0);
        std::sort(turns.begin(), turns.end());
        for (std::size_t k = 0; k + 1 < turns.size(); ++k) {
            auto a = turns[k].first, b = turns[k + 1].first;
            if (b <= a + 3 || std::abs(y[b] - y[a]) < 0.25) continue;
            const double up = y[b] > y[a] ? 1 : -1;
            // The plateaus drift and wobble: the shift runs between the last moment near the one and the first near the other, and
            // their levels are medians over half a second.
            const double near = 0.04 + 1.5 * noise, half_second = 0.5;
            const double low_end = y[a], high_end = y[b];
            while (a + 1 < b && std::abs(y[a + 1] - low_end) < near) ++a;
            for (std::size_t f = a + 1; f < b; ++f)
                if (std::abs(y[f] - low_end) < near) a = f;
            for (std::size_t f = a; f <= b; ++f)
                if (std::abs(y[f] - high_end) < near) {
                    b = f;
                    break;
                }
            auto level_about = [&](double from_s, double to_s) {
                Series part;
                for (std::size_t f = 0; f < y.size(); ++f)
                    if (ts[f] >= from_s - 1e-9 && ts[f] <= to_s + 1e-9) part.push_back(y[f]);
                return signal::median(part);
            };
            Shift s;
            s.from = level_about(std::max(ts[turns[k].first], ts[a] - half_second), ts[a]);
            s.to = level_about(ts[b], std::min(ts[turns[k + 1].first], ts[b] + half_second));
            if (b <= a + 2 || std::abs(s.to - s.from) < 0.2) continue;
            const Series v = signal::derivative(ts, y);
            std::size_t fast = a;
            for (std::size_t f = a; f <= b; ++f)
                if (up * v[f] > up * v[fast]) fast = f;
            const double peak = up * v[fast];
            // Outwards from the fastest moment: slow drift on the plateaus before and after is not part of the shift.
            auto level = [&](double part) { return s.from + part * (s.to - s.from); };
            std::size_t lo = fast, hi = fast;
            while (lo > a && up * (y[lo] - level(0.1)) > 0) --lo;
            while (hi < b && up * (y[hi] - level(0.9)) < 0) ++hi;
            s.start_s = signal::crossing(ts, y, lo, level(0.1));
            s.end_s = hi > 0 ? signal::crossing(ts, y, hi - 1, level(0.9)) : ts[hi];
            std::size_t f = fast;
            // Back to where the speed first passed a tenth of its peak; a halt on the way does not hide the true onset.
            while (f > a && (up * v[f] > 0.1 * peak || up * (y[f] - level(0.1)) > 0)) --f;
            Series speed;
            for (std::size_t q = a; q <= b; ++q) speed.push_back(up * v[q]);
            s.onset_s = f < fast ? signal::crossing(ts, v, f, up * 0.1 * peak) : ts[f];
            s.peaks = static_cast<int>(std::max<std::size_t>(1, signal::prominent_peaks(speed, 0.35 * peak).size()));
            const double standing = (noise > 0 ? 0.22 : 0.1) * peak; // noise of a picture's points looks like slow motion
            double halt = 0;
            for (std::size_t q = a; q <= b; ++q) {
                if (ts[q] <= s.start_s || ts[q] >= s.end_s || up * v[q] > standing) {
                    halt = 0;
                    continue;
                }
                halt += ts[q] - ts[q - 1];
                s.stop_s = std::max(s.stop_s, halt);
            }
            // Noise of the share over its speed at the two crossings.
            const double slow = std::max(0.05, 0.5 * (std::abs(v[lo]) + std::abs(v[hi])));
            s.sigma_s = (0.012 + 1.0 * noise) / slow;
            out.push_back(s);
        }
    }
    return out;
}

} // namespace bevel
