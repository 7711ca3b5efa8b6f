#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {

using signal::Series;

namespace {

/// The transfer between two turning points. The stretch is filtered again as slow as the transfer allows, so that noise does not look
/// like moving; runs of speed above a tenth of the peak belong to it, what lies between two of them is a halt.
class Transfer {
public:
    Transfer(std::span<const double> t, std::span<const double> raw, double noise, double wander, const Series& rough, std::size_t a,
             std::size_t b)
        : noise_(noise), wander_(wander), up_(rough[b] > rough[a] ? 1 : -1), far_(std::abs(rough[b] - rough[a])),
          rate_(signal::median_rate(t)) {
        // Time from 10 to 90 % as it first looks.
        auto cross = [&](double part) {
            std::size_t i = a;
            while (i < b && up_ * (rough[i] - rough[a]) < part * far_) ++i;
            return t[i];
        };
        lasts_ = std::max(0.15, cross(0.9) - cross(0.1));
        const double cutoff = std::clamp(2.6 / lasts_, 0.9, 3.0);
        const std::size_t margin = static_cast<std::size_t>(std::max(4.0, 2 * rate_ / cutoff));
        const std::size_t from = a > margin ? a - margin : 0, to = std::min(t.size(), b + margin + 1);
        ts_ = t.subspan(from, to - from);
        y_ = signal::low_pass(ts_, raw.subspan(from, to - from), cutoff);
        v_ = signal::derivative(ts_, y_);
        lo_ = a - from;
        hi_ = b - from;
        // Noise of found points is slow: the filter leaves it, and takes what is quick out of its slope.
        slope_ = noise_ * 2 * std::numbers::pi * cutoff * 0.3;
        std::size_t fast = lo_;
        for (std::size_t i = lo_; i <= hi_; ++i)
            if (up_ * v_[i] > up_ * v_[fast]) fast = i;
        peak_ = up_ * v_[fast];
        moving_ = std::max(0.1 * peak_, std::min(2 * slope_, 0.35 * peak_));
    }

    /// None where nothing is carried over.
    std::optional<Shift> shift() const {
        if (peak_ <= 0) return std::nullopt;
        const auto runs = belonging();
        if (runs.empty()) return std::nullopt;
        const std::size_t first = runs.front().from, last = runs.back().to;
        Shift s;
        s.from = level(first, -1);
        s.to = level(last, 1);
        if (up_ * (s.to - s.from) < std::max(0.12, 4 * noise_)) return std::nullopt;
        tell_times(s, first, last);
        tell_halt(s, runs);
        Series speed;
        for (std::size_t i = first; i <= last; ++i) speed.push_back(up_ * v_[i]);
        s.peaks = static_cast<int>(std::max<std::size_t>(1, signal::prominent_peaks(speed, std::max(0.3 * peak_, 3 * slope_)).size()));
        return s;
    }

private:
    struct Run {
        std::size_t from, to;
    };
    double travel(const Run& r) const { return up_ * (y_[r.to] - y_[r.from]); }

    std::vector<Run> belonging() const {
        std::vector<Run> runs;
        for (std::size_t i = lo_; i <= hi_; ++i) {
            if (up_ * v_[i] <= moving_) continue;
            std::size_t e = i;
            while (e < hi_ && up_ * v_[e + 1] > moving_) ++e;
            runs.push_back({i, e});
            i = e;
        }
        auto gap_after_first = [&] { return ts_[runs[1].from] - ts_[runs[0].to]; };
        auto gap_before_last = [&] { return ts_[runs.back().from] - ts_[runs[runs.size() - 2].to]; };
        // A drift on the plateaus before or after is no part of it.
        const double least = std::max(0.18 * far_, 3 * noise_);
        while (runs.size() > 1 && travel(runs.front()) < (gap_after_first() < 0.15 ? 0.03 * far_ : least)) runs.erase(runs.begin());
        while (runs.size() > 1 && travel(runs.back()) < (gap_before_last() < 0.15 ? 0.03 * far_ : least)) runs.pop_back();
        // A small part long before or after the transfer proper is a move of its own.
        double whole = 0, longest = 0;
        for (const auto& r : runs) {
            whole += travel(r);
            longest = std::max(longest, ts_[r.to] - ts_[r.from]);
        }
        const double apart = std::max(1.2, longest);
        while (runs.size() > 1 && gap_after_first() > apart && travel(runs.front()) < 0.3 * whole) runs.erase(runs.begin());
        while (runs.size() > 1 && gap_before_last() > apart && travel(runs.back()) < 0.3 * whole) runs.pop_back();
        return runs;
    }

    /// Beyond the last moving moment, as far as it rests there.
    double level(std::size_t i, int step) const {
        Series part;
        for (auto k = static_cast<std::ptrdiff_t>(i); k >= static_cast<std::ptrdiff_t>(lo_) && k <= static_cast<std::ptrdiff_t>(hi_);
             k += step) {
            const auto q = static_cast<std::size_t>(k);
            if (std::abs(ts_[q] - ts_[i]) > 0.5 || (q != i && up_ * v_[q] > moving_)) break;
            part.push_back(y_[q]);
        }
        return signal::median(part);
    }

    void tell_times(Shift& s, std::size_t first, std::size_t last) const {
        auto when = [&](double part) {
            const double at = s.from + part * (s.to - s.from);
            std::size_t i = first > lo_ ? first - 1 : first;
            while (i < last && up_ * (y_[i + 1] - at) < 0) ++i;
            return std::pair(signal::crossing(ts_, y_, i, at), std::abs(v_[std::min(i + 1, v_.size() - 1)]));
        };
        const auto [start, v_start] = when(0.1);
        const auto [end, v_end] = when(0.9);
        s.start_s = start;
        s.end_s = std::max(start, end);
        s.onset_s = first > lo_ ? signal::crossing(ts_, v_, first - 1, up_ * moving_) : ts_[first];
        // A threshold raised by noise is passed later than a tenth of the peak. An even shift (least jerk) passes it 1.13 times as long
        // before its first tenth as it takes from there to three tenths of the way.
        const double third = when(0.3).first, shaped = s.start_s - 1.13 * std::max(0.0, third - s.start_s);
        const double sure = std::clamp((0.2 - moving_ / peak_) / 0.1, 0.0, 1.0), apart_s = std::abs(s.onset_s - shaped);
        s.onset_s = std::min(sure * s.onset_s + (1 - sure) * shaped, s.start_s);
        // The same the other way round for where it comes to rest.
        const double rests = last < hi_ ? signal::crossing(ts_, v_, last, up_ * moving_) : ts_[last],
                     shaped_rest = s.end_s + 1.13 * std::max(0.0, s.end_s - when(0.7).first);
        s.rest_s = std::max(s.end_s, sure * rests + (1 - sure) * shaped_rest);
        const double frame = 0.3 / std::max(rate_, 1.0);
        const double slow = std::max(0.25 * peak_, 0.5 * (v_start + v_end));
        // The level at the crossing and the plateau it is counted from are both off by the noise and by what wanders with the posture.
        s.sigma_s = std::hypot(frame, 0.02 * lasts_, 1.35 * std::hypot(noise_, wander_) / slow);
        s.onset_sigma_s = std::hypot(0.04 * lasts_, 1.8 * s.sigma_s, 0.6 * apart_s);
        s.stop_sigma_s = std::hypot(frame, std::hypot(noise_, 0.6 * wander_) / (far_ / lasts_));
    }

    /// The longest of those between its runs.
    void tell_halt(Shift& s, const std::vector<Run>& runs) const {
        for (std::size_t k = 0; k + 1 < runs.size(); ++k)
            if (const double halt = ts_[runs[k + 1].from] - ts_[runs[k].to]; halt > s.stop_s) {
                s.stop_s = halt;
                s.stop_at_s = 0.5 * (ts_[runs[k + 1].from] + ts_[runs[k].to]);
            }
    }

    double noise_, wander_, up_, far_, rate_, lasts_ = 0, slope_ = 0, peak_ = 0, moving_ = 0;
    std::span<const double> ts_;
    Series y_, v_;                // filtered, and its speed
    std::size_t lo_ = 0, hi_ = 0; // the turning points
};

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
            if (auto s = Transfer(t_, raw_, noise_, wander_, y, a, b).shift()) out.push_back(*s);
        }
    }

private:
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
