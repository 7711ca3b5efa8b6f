#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr double at_rest = 0.06;     // m/s
constexpr double touch_s = 0.5;      // a touch is shorter
constexpr double smoothing_hz = 0.9; // about half a second

/// Speed of the fastest of hips and hands, along what the clip shows, m/s.
Series restlessness(const Motion& m) {
    const std::array<Point, 4> points{left_hip, right_hip, left_wrist, right_wrist};
    Series worst(m.frames(), 0);
    for (const Point p : points) {
        Series square(m.frames(), 0);
        for (const int axis : {0, 1, 2}) {
            if ((axis == 0 && !m.has_x) || (axis == 2 && !m.has_z)) continue;
            Series y(m.frames(), NAN);
            for (std::size_t f = 0; f < m.frames(); ++f)
                if (m.valid[f]) y[f] = m.m[f][static_cast<std::size_t>(p)][axis];
            const Series v = signal::derivative(m.time_s, signal::low_pass(m.time_s, signal::fill_gaps(m.time_s, y, 0.25), smoothing_hz));
            for (std::size_t f = 0; f < m.frames(); ++f) square[f] += v[f] * v[f];
        }
        for (std::size_t f = 0; f < m.frames(); ++f) worst[f] = std::isfinite(square[f]) ? std::max(worst[f], std::sqrt(square[f])) : NAN;
    }
    return worst;
}

/// Frames on which a foot is off the floor, touches shorter than touch_s passed over; `touched` marks these.
std::vector<bool> off_the_floor(const Measures& ms, Side s, std::vector<bool>& touched) {
    const auto& c = ms.contact[static_cast<std::size_t>(s)];
    std::vector<bool> off(c.size());
    for (std::size_t f = 0; f < c.size(); ++f) off[f] = c[f] == Contact::off;
    touched.assign(c.size(), false);
    for (std::size_t f = 1; f < off.size(); ++f) {
        if (off[f] || !off[f - 1]) continue;
        std::size_t to = f;
        while (to < off.size() && !off[to]) ++to;
        if (to < off.size() && ms.time_s[to] - ms.time_s[f] < touch_s)
            for (std::size_t k = f; k < to; ++k) off[k] = true, touched[k] = true;
        f = to;
    }
    return off;
}

std::optional<HeldFigure> sway(const Motion& m, const Measures& ms, std::size_t from, std::size_t to, int axis) {
    if (to - from < 10) return std::nullopt;
    double mean = 0, var = 0, noise = 0;
    const double n = static_cast<double>(to - from);
    for (std::size_t f = from; f < to; ++f) mean += ms.centre[f][axis] / n;
    for (std::size_t f = from; f < to; ++f) {
        var += std::pow(ms.centre[f][axis] - mean, 2) / n;
        // The centre is a mean of many points; errors of neighbours go together.
        noise += std::pow(0.3 * m.jitter, 2) / n;
    }
    const double rms = std::sqrt(std::max(0.0, var - noise));
    // Sway of a second or so a turn: so many independent looks in the stretch.
    const double looks = std::max(1.0, m.time_s[to - 1] - m.time_s[from]);
    return HeldFigure{1000 * rms, 1000 * std::hypot(std::sqrt(noise) / std::sqrt(looks), rms / std::sqrt(2 * looks))};
}

std::optional<HeldFigure> sinking(const Measures& ms, std::size_t from, std::size_t to) {
    const auto* s = ms.find("hip.height");
    if (!s || to - from < 9) return std::nullopt;
    const std::size_t third = (to - from) / 3;
    auto mean = [&](std::size_t a, std::size_t b) -> std::optional<HeldFigure> {
        double sum = 0, own = 0;
        int n = 0;
        for (std::size_t f = a; f < b; ++f)
            if (s->samples[f].present()) sum += s->samples[f].value, own += static_cast<double>(s->samples[f].own), ++n;
        if (n == 0) return std::nullopt;
        return HeldFigure{sum / n, own / n / std::sqrt(std::max(1.0, ms.time_s[b - 1] - ms.time_s[a]))};
    };
    const auto first = mean(from, from + third), last = mean(to - third, to);
    if (!first || !last) return std::nullopt;
    return HeldFigure{first->value - last->value, std::hypot(first->sigma, last->sigma)};
}

} // namespace

std::vector<Hold> find_holds(const Motion& m, const Measures& ms, const std::vector<SupportState>& states, double least_s) {
    std::vector<Hold> out;
    const Series speed = restlessness(m);
    std::array<std::vector<bool>, 2> touched;
    const std::array<std::vector<bool>, 2> off{off_the_floor(ms, Side::left, touched[0]), off_the_floor(ms, Side::right, touched[1])};
    const auto still = [&](std::size_t f) { return std::isfinite(speed[f]) && speed[f] < at_rest; };
    // What it stands on: both feet, or one; another footing is another hold.
    const auto footing = [&](std::size_t f) { return (off[0][f] ? 1 : 0) + (off[1][f] ? 2 : 0); };
    for (std::size_t from = 0; from < m.frames();) {
        if (!still(from)) {
            ++from;
            continue;
        }
        std::size_t to = from;
        while (to < m.frames() && still(to) && footing(to) == footing(from)) ++to;
        const double length = m.time_s[to - 1] - m.time_s[from];
        if (length >= least_s && footing(from) != 3) {
            Hold h;
            h.from_s = m.time_s[from];
            h.to_s = m.time_s[to - 1];
            h.sigma_s = std::hypot(0.15, 1.0 / std::max(1.0, m.rate));
            if (footing(from) != 0) {
                h.leg = footing(from) == 1 ? Side::right : Side::left;
                const auto& t = touched[static_cast<std::size_t>(other(*h.leg))];
                for (std::size_t f = from + 1; f < to; ++f) h.touches += t[f] && !t[f - 1] ? 1 : 0;
            }
            for (const auto& s : states) h.supported = h.supported || (s.from_s < h.to_s && s.to_s > h.from_s);
            if (m.has_x) h.sideways = sway(m, ms, from, to, 0);
            if (m.has_z) h.forward = sway(m, ms, from, to, 2);
            h.sinks = sinking(ms, from, to);
            out.push_back(h);
        }
        from = to;
    }
    return out;
}

std::vector<HoldWindow> hold_windows(const std::vector<double>& time_s, const std::vector<double>& value,
                                     const std::vector<double>& sigma) {
    constexpr double alike_s = 0.33, of_median = 1.25; // noise stays alike for so long; error of a median against that of a mean
    std::vector<HoldWindow> out;
    for (std::size_t k = 0; k < time_s.size();) {
        HoldWindow w{time_s[k], time_s[k], 0, 0};
        std::vector<double> x;
        for (; k < time_s.size() && time_s[k] - w.from_s < hold_window_s; ++k) {
            x.push_back(value[k]);
            w.sigma += sigma[k];
            w.to_s = time_s[k];
        }
        if (w.to_s - w.from_s < hold_window_s / 3 && !out.empty()) break;
        w.value = signal::median(x);
        w.sigma *= of_median / static_cast<double>(x.size()) / std::sqrt(std::max(1.0, (w.to_s - w.from_s) / alike_s));
        out.push_back(w);
    }
    return out;
}

} // namespace bevel
