#include "core/measure/events.h"
#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;

void feet(const Motion& m, Measures& out) {
    for (const Side s : {Side::left, Side::right}) {
        const auto& c = out.contact[static_cast<std::size_t>(s)];
        for (std::size_t f = 1; f < m.frames(); ++f) {
            if (c[f] == c[f - 1]) continue;
            const double at = 0.5 * (m.time_s[f] + m.time_s[f - 1]), sigma = out.contact_sigma[static_cast<std::size_t>(s)][f];
            auto emit = [&](EventKind k) { out.events.push_back({k, Part::foot, s, at, sigma}); };
            auto heel = [](Contact k) { return k == Contact::flat || k == Contact::heel; };
            auto toe = [](Contact k) { return k == Contact::flat || k == Contact::toe; };
            if (heel(c[f]) && !heel(c[f - 1])) emit(EventKind::heel_down);
            if (toe(c[f]) && !toe(c[f - 1])) emit(EventKind::toe_down);
            if (!heel(c[f]) && heel(c[f - 1])) emit(EventKind::heel_up);
            if (!toe(c[f]) && toe(c[f - 1])) emit(EventKind::toe_up);
            if (c[f] == Contact::flat) emit(EventKind::flat);
            if (c[f] == Contact::off) emit(EventKind::off);
        }
    }
}

void weight(const Measures& ms, std::vector<Event>& out) {
    for (const auto& s : ms.shifts) {
        const Side to = s.to > s.from ? Side::left : Side::right;
        out.push_back({EventKind::shift_onset, Part::weight, to, s.onset_s, s.onset_sigma_s});
        out.push_back({EventKind::shift_start, Part::weight, to, s.start_s, s.sigma_s});
        out.push_back({EventKind::shift_end, Part::weight, to, s.end_s, s.sigma_s});
        out.push_back({EventKind::shift_rest, Part::weight, to, s.rest_s, s.onset_sigma_s});
        if (s.stop_s > 3 * s.stop_sigma_s) out.push_back({EventKind::stop, Part::weight, to, 0.5 * (s.start_s + s.end_s), s.stop_s});
    }
}

/// Onsets and ends of moves of a series by at least `least`: where its speed passes 10 % of the peak of the move.
void moves(const std::vector<double>& t, const Series& y, double least, double noise, double cutoff, EventKind from, EventKind to,
           Part part, std::vector<Event>& out) {
    const Series smooth = signal::low_pass(t, y, cutoff), v = signal::derivative(t, smooth);
    for (const auto& [a, b] : signal::finite_runs(smooth)) {
        if (b - a < 8) continue;
        std::size_t k = a;
        while (k < b) {
            std::size_t e = k;
            while (e + 1 < b && (v[e + 1] > 0) == (v[k] > 0)) ++e;
            if (std::abs(smooth[e] - smooth[k]) >= std::max(least, 4 * noise)) {
                std::size_t peak = k;
                for (std::size_t q = k; q <= e; ++q)
                    if (std::abs(v[q]) > std::abs(v[peak])) peak = q;
                const double edge = 0.1 * std::abs(v[peak]);
                std::size_t lo = peak, hi = peak;
                while (lo > k && std::abs(v[lo]) > edge) --lo;
                while (hi < e && std::abs(v[hi]) > edge) ++hi;
                // The speed's own noise over how it grows and dies away there.
                const double frame = (t[b - 1] - t[a]) / static_cast<double>(b - a);
                auto sigma = [&, frame](std::size_t end) {
                    const double slope = 0.9 * std::abs(v[peak]) / std::max(1e-3, std::abs(t[end] - t[peak]));
                    return std::max(
                        {0.5 * frame, noise / std::max(1e-9, 0.3 * std::abs(v[peak])), noise * rate_of_noise / std::max(1e-9, slope)});
                };
                out.push_back({from, part, std::nullopt, t[lo], sigma(lo)});
                out.push_back({to, part, std::nullopt, t[hi], sigma(hi)});
            }
            k = e + 1;
        }
    }
}

void turns(const Motion& m, const Measures& ms, std::vector<Event>& out) {
    const std::array<std::pair<const char*, Part>, 3> parts{
        {{"pelvis.turn", Part::pelvis}, {"shoulder.turn", Part::shoulders}, {"head.turn", Part::head}}};
    for (const auto& [id, part] : parts) {
        const auto& s = ms.series.at(id).samples;
        Series y(s.size(), NAN), own;
        for (std::size_t f = 0; f < s.size(); ++f)
            if (s[f].present()) y[f] = s[f].value, own.push_back(s[f].own);
        if (!own.empty()) moves(m.time_s, y, 8, signal::median(own), 2.0, EventKind::turn_onset, EventKind::turn_end, part, out);
    }
}

void hands(const Motion& m, std::vector<Event>& out) {
    for (const Side s : {Side::left, Side::right}) {
        Series speed(m.frames(), NAN);
        for (std::size_t f = 1; f + 1 < m.frames(); ++f) {
            if (!m.valid[f - 1] || !m.valid[f + 1]) continue;
            const auto w = index_of(on(s, left_wrist));
            Vec3 d = m.m[f + 1][w] - m.m[f - 1][w];
            if (m.from_pictures()) {
                const Vec3 sight = (m.m[f][w] - m.camera_at).normalized();
                d -= sight * sight.dot(d);
            }
            speed[f] = d.norm() / (m.time_s[f + 1] - m.time_s[f - 1]);
        }
        const Series slow = signal::low_pass(m.time_s, speed, 2.0);
        double peak = 0, fastest_s = 0;
        std::size_t onset = 0;
        const double noise = m.from_pictures() ? 0 : m.jitter * rate_of_noise; // of the speed, m/s
        for (std::size_t f = 1; f < m.frames(); ++f) {
            if (!std::isfinite(slow[f]) || !std::isfinite(slow[f - 1])) continue;
            if (slow[f] > peak) peak = slow[f], fastest_s = m.time_s[f];
            // The move begins where its speed last passed a tenth of its peak on the way up.
            if (slow[f - 1] <= 0.15 && slow[f] > 0.15) {
                double most = slow[f];
                for (std::size_t k = f; k < m.frames() && std::isfinite(slow[k]) && slow[k] > 0.15; ++k) most = std::max(most, slow[k]);
                std::size_t k = f;
                while (k > onset && std::isfinite(slow[k - 1]) && slow[k] > 0.1 * most) --k;
                if (k > onset) out.push_back({EventKind::hand_onset, Part::hand, s, m.time_s[k], 0.08});
                onset = f;
            }
            // A stop: from a peak of at least 15 cm/s down to a tenth of it, or to what the points' noise allows.
            const double edge = std::max({0.1 * peak, 0.02, 1.5 * noise});
            if (peak > 0.15 && slow[f - 1] >= edge && slow[f] < edge) {
                // What noise does to the moment, and how much earlier a raised edge is passed.
                const double slope = (peak - edge) / std::max(1e-3, m.time_s[f] - fastest_s);
                const double sigma = std::hypot(0.05, (noise + edge - std::max(0.1 * peak, 0.02)) / std::max(1e-6, slope));
                out.push_back({EventKind::hand_stop, Part::hand, s, m.time_s[f], sigma});
                peak = 0;
            }
        }
    }
}

/// Rolling of the back: onsets and ends of the slope of each marked part, and of the head against its stand.
void roll(const Motion& m, const Measures& ms, std::vector<Event>& out) {
    if (m.back.empty()) return;
    auto part = [&](Part p, auto value) {
        Series y(m.frames(), NAN);
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (const std::optional<double> v = value(f)) y[f] = *v;
        moves(m.time_s, signal::fill_gaps(m.time_s, y, 0.25), 10, m.back_sigma, 2.0, EventKind::roll_onset, EventKind::roll_end, p, out);
    };
    part(Part::low_back, [&](std::size_t f) { return m.back[f].middle; });
    part(Part::upper_back, [&](std::size_t f) { return m.back[f].upper; });
    part(Part::neck, [&](std::size_t f) {
        const auto& s = ms.series.at("head.pitch").samples[f];
        return s.present() ? std::optional(-s.value) : std::nullopt;
    });
}

void rise_and_sink(const Motion& m, const Measures& ms, std::vector<Event>& out) {
    const auto& s = ms.series.at("hip.height").samples;
    Series y(s.size(), NAN), own;
    for (std::size_t f = 0; f < s.size(); ++f)
        if (s[f].present()) y[f] = s[f].value, own.push_back(s[f].own);
    if (own.empty()) return;
    Series high = signal::low_pass(m.time_s, y, 1.5), low = high;
    for (double& v : low) v = -v;
    const double prominence = std::max(0.02, 3 * signal::median(own));
    for (const auto& [kind, which] : {std::pair{EventKind::high, &high}, std::pair{EventKind::low, &low}})
        for (const auto k : signal::prominent_peaks(*which, prominence))
            if (k > 0 && k + 1 < which->size()) out.push_back({kind, Part::hips, std::nullopt, m.time_s[k], 0.1});
}

} // namespace

void find_events(const Motion& m, Measures& out) {
    feet(m, out);
    weight(out, out.events);
    turns(m, out, out.events);
    hands(m, out.events);
    rise_and_sink(m, out, out.events);
    for (const auto& b : m.breaths)
        out.events.push_back({b.in ? EventKind::breath_in : EventKind::breath_out, Part::breath, std::nullopt, b.time_s, 0.12});
    roll(m, out, out.events);
    std::stable_sort(out.events.begin(), out.events.end(), [](const Event& a, const Event& b) { return a.time_s < b.time_s; });
}

} // namespace bevel
