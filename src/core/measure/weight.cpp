#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr double gravity = 9.81;
constexpr std::size_t i(Point p) { return static_cast<std::size_t>(p); }

/// Height and speed thresholds of contact. Exact points: 1 cm. Points found on pictures: 2.5 sigma.
struct Limits {
    double height, speed;
};

Series coordinate(const Motion& m, Point p, Eigen::Index axis) {
    Series y(m.frames(), NAN);
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (m.valid[f]) y[f] = m.m[f][i(p)][axis];
    return y;
}

/// Horizontal speed on the picture or in the room.
Series speed_of(const Motion& m, Point p) {
    const Series vx = signal::derivative(m.time_s, coordinate(m, p, 0)), vz = signal::derivative(m.time_s, coordinate(m, p, 2));
    Series v(m.frames(), NAN);
    for (std::size_t f = 0; f < v.size(); ++f) v[f] = std::hypot(m.has_x ? vx[f] : 0, m.has_z ? vz[f] : 0);
    return v;
}

/// On the floor: low and slow; leaving needs clearly more than arriving.
std::vector<bool> grounded(const Series& height, const Series& speed, double floor, const Limits& l) {
    std::vector<bool> out(height.size(), false);
    bool down = true;
    for (std::size_t f = 0; f < height.size(); ++f) {
        const double h = height[f] - floor;
        if (std::isfinite(h)) down = down ? h < l.height * 1.15 && speed[f] < 2 * l.speed : h < l.height && speed[f] < l.speed;
        out[f] = down;
    }
    return out;
}

void remove_short(std::vector<bool>& v, std::size_t least) {
    for (std::size_t a = 0; a < v.size();) {
        std::size_t b = a;
        while (b < v.size() && v[b] == v[a]) ++b;
        if (b - a < least && a > 0 && b < v.size())
            for (std::size_t k = a; k < b; ++k) v[k] = !v[k];
        a = b;
    }
}

Vec3 foot_centre(const Body3& b, Side s) {
    const Vec3 &heel = b[i(on(s, left_heel))], &toe = b[i(on(s, left_toe))];
    return heel + 0.36 * (toe - heel); // middle of heel to 72 % of the foot
}

double foot_sigma(const Motion& m, std::size_t f, Side s) { return m.sigma[f][i(on(s, left_heel))] * 0.75; }

struct Axis {
    Eigen::Index index; // 0 sideways, 2 forward; -1 along the line of the feet in plan
};

Sample share_at(const Motion& m, std::size_t f, const Vec3& zero_moment, Eigen::Index axis) {
    const Vec3 l = foot_centre(m.m[f], Side::left), r = foot_centre(m.m[f], Side::right);
    double span = 0, along = 0;
    if (axis < 0) {
        Vec3 line = l - r, rel = zero_moment - r;
        line.y() = rel.y() = 0;
        span = line.norm();
        along = span > 0 ? rel.dot(line) / span : 0;
    } else {
        span = l[axis] - r[axis];
        along = zero_moment[axis] - r[axis];
    }
    if (std::abs(span) < (m.view == View::three_d ? 0.12 : 0.25)) return {0, 0, Absent::feet_close};
    const double w = along / span;
    const double centre_sigma = m.view == View::three_d ? 0.008 : 0.016;
    const double foot = 0.5 * (foot_sigma(m, f, Side::left) + foot_sigma(m, f, Side::right));
    const double tilt = m.vertical_sigma * 0.95; // a tilted vertical moves the centre, 0.95 m up, over the feet
    return {w, std::sqrt(centre_sigma * centre_sigma + foot * foot * (w * w + (1 - w) * (1 - w)) + tilt * tilt) / std::abs(span), Absent::none};
}

/// Offset of the share learnt from quiet single supports, where all of it must be on one foot.
double single_support_offset(const Motion& m, const Measures& out, const std::vector<Sample>& raw, Eigen::Index axis) {
    Series metres;
    const auto n = m.frames();
    for (const Side up : {Side::left, Side::right}) {
        const auto& c = out.contact[static_cast<std::size_t>(up)];
        for (std::size_t a = 0; a < n;) {
            std::size_t b = a;
            while (b < n && c[b] == Contact::off) ++b;
            if (b > a + 2 && m.time_s[b - 1] - m.time_s[a] >= 0.3) {
                // The middle half of the support: the body has arrived and does not yet leave.
                for (std::size_t f = a + (b - a) / 4; f < b - (b - a) / 4; ++f) {
                    if (!raw[f].present()) continue;
                    const double want = up == Side::left ? 0.0 : 1.0;
                    const double span = foot_centre(m.m[f], Side::left)[axis] - foot_centre(m.m[f], Side::right)[axis];
                    metres.push_back((raw[f].value - want) * span);
                }
            }
            a = std::max(b, a + 1);
        }
    }
    if (metres.size() < 10) return 0;
    return std::clamp(signal::median(metres), -0.04, 0.04);
}

} // namespace

void find_contacts(const Motion& m, Measures& out) {
    const bool exact = m.view == View::three_d;
    for (const Side s : {Side::left, Side::right}) {
        const Point hp = on(s, left_heel), tp = on(s, left_toe);
        double sig = 0.004;
        Series sigmas;
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (m.valid[f]) sigmas.push_back(m.sigma[f][i(hp)]);
        if (!exact && !sigmas.empty()) sig = signal::median(sigmas);
        const Limits l = exact ? Limits{0.010, 1e9} : Limits{std::max(0.022, 1.6 * sig), 0.16};
        const Series hy = coordinate(m, hp, 1), ty = coordinate(m, tp, 1);
        const double hf = exact ? 0 : signal::quantile(hy, 0.30), tf = exact ? 0 : signal::quantile(ty, 0.30);
        auto heel = grounded(hy, speed_of(m, hp), hf, l), toe = grounded(ty, speed_of(m, tp), tf, l);
        const auto least = static_cast<std::size_t>(exact ? 2 : std::max(2.0, 0.1 * m.rate));
        remove_short(heel, least);
        remove_short(toe, least);
        auto& c = out.contact[static_cast<std::size_t>(s)];
        c.resize(m.frames());
        MeasureSeries state{"foot.state", "state", s, {}};
        for (std::size_t f = 0; f < m.frames(); ++f) {
            c[f] = heel[f] && toe[f] ? Contact::flat : heel[f] ? Contact::heel : toe[f] ? Contact::toe : Contact::off;
            state.samples.push_back(m.valid[f] ? Sample{static_cast<double>(c[f]), 0, Absent::none} : Sample{0, 0, Absent::no_body});
        }
        out.series[s == Side::left ? "foot.state.left" : "foot.state.right"] = std::move(state);
        for (std::size_t f = 1; f < m.frames(); ++f) {
            const double at = 0.5 * (m.time_s[f] + m.time_s[f - 1]), sigma = exact ? 0.5 / m.rate : 0.08;
            if (c[f] == Contact::off && c[f - 1] != Contact::off) out.foot_events.push_back({FootEvent::Kind::off, s, at, sigma});
            if (c[f] != Contact::off && c[f - 1] == Contact::off) out.foot_events.push_back({FootEvent::Kind::down, s, at, sigma});
            if (c[f] == Contact::flat && c[f - 1] != Contact::flat) out.foot_events.push_back({FootEvent::Kind::flat, s, at, sigma});
        }
    }
    std::sort(out.foot_events.begin(), out.foot_events.end(), [](const FootEvent& a, const FootEvent& b) { return a.time_s < b.time_s; });
}

void weigh(const Motion& m, Sex sex, Measures& out) {
    const auto n = m.frames();
    const auto w = centre_weights(SegmentTable::of(sex));
    std::array<Series, 3> c{Series(n, NAN), Series(n, NAN), Series(n, NAN)};
    out.centre.assign(n, Vec3::Zero());
    for (std::size_t f = 0; f < n; ++f) {
        if (!m.valid[f]) continue;
        Vec3 at = Vec3::Zero();
        for (std::size_t p = 0; p < w.size(); ++p) at += w[p] * m.m[f][p];
        out.centre[f] = at;
        for (std::size_t a = 0; a < 3; ++a) c[a][f] = at[static_cast<Eigen::Index>(a)];
    }
    std::array<Series, 3> acc;
    for (std::size_t a = 0; a < 3; ++a) {
        const Series slow = signal::low_pass(m.time_s, c[a], 2.0);
        acc[a] = signal::derivative(m.time_s, signal::derivative(m.time_s, slow));
    }
    auto course = [&](Eigen::Index axis, bool visible) {
        std::vector<Sample> raw(n);
        for (std::size_t f = 0; f < n; ++f) {
            if (!visible) {
                raw[f].absent = Absent::view;
            } else if (!m.valid[f]) {
                raw[f].absent = Absent::no_body;
            } else {
                Vec3 zero = out.centre[f];
                for (Eigen::Index a = 0; a < 3; ++a) {
                    const double q = acc[static_cast<std::size_t>(a)][f];
                    if (a != 1 && std::isfinite(q)) zero[a] -= q * out.centre[f].y() / gravity;
                }
                raw[f] = share_at(m, f, zero, axis);
            }
        }
        if (visible && axis >= 0) {
            const double offset = single_support_offset(m, out, raw, axis);
            for (std::size_t f = 0; f < n; ++f)
                if (raw[f].present()) raw[f].value -= offset / (foot_centre(m.m[f], Side::left)[axis] - foot_centre(m.m[f], Side::right)[axis]);
        }
        return raw;
    };
    auto shown = [&](std::vector<Sample> raw) {
        for (std::size_t f = 0; f < n; ++f) {
            if (raw[f].absent == Absent::view || raw[f].absent == Absent::no_body) continue;
            const bool l = out.contact[0][f] == Contact::off, r = out.contact[1][f] == Contact::off;
            if (l && r) {
                raw[f] = {0, 0, Absent::foot_off};
            } else if (l || r) {
                raw[f] = {l ? 0.0 : 1.0, raw[f].present() ? raw[f].sigma : 0.05, Absent::none}; // a lifted foot carries nothing
            } else if (raw[f].present()) {
                raw[f].value = std::clamp(raw[f].value, 0.0, 1.0);
            }
        }
        return raw;
    };
    const bool full = m.view == View::three_d;
    const auto left_raw = course(full ? -1 : 0, m.has_x);
    // Forward share: on the foot that is the left one, along the forward axis; the front foot's own share follows from which is ahead.
    const auto along_raw = course(2, m.has_z);
    out.series["weight.left"] = {"weight.left", "1", std::nullopt, shown(left_raw)};
    out.series["weight.left_raw"] = {"weight.left_raw", "1", std::nullopt, left_raw};
    MeasureSeries front{"weight.front", "1", std::nullopt, along_raw};
    for (std::size_t f = 0; f < n; ++f) {
        auto& s = front.samples[f];
        if (!s.present()) continue;
        const bool left_ahead = foot_centre(m.m[f], Side::left).z() > foot_centre(m.m[f], Side::right).z();
        s.value = std::clamp(left_ahead ? s.value : 1 - s.value, 0.0, 1.0);
    }
    out.series["weight.front"] = std::move(front);
    out.shifts_are_front = !m.has_x;
    const auto& source = out.shifts_are_front ? along_raw : left_raw;
    out.series["weight.along_raw"] = {"weight.along_raw", "1", std::nullopt, source};
    Series y(n, NAN);
    Series sig;
    for (std::size_t f = 0; f < n; ++f)
        if (source[f].present()) {
            y[f] = source[f].value;
            sig.push_back(source[f].sigma);
        }
    out.shifts = find_shifts(m.time_s, y, full ? 0 : 0.02);
    for (auto& s : out.shifts) s.sigma_s = full ? 0.5 / m.rate : std::clamp(0.035 * s.duration(), 0.04, 0.12);
}

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
            double halt = 0;
            for (std::size_t q = a; q <= b; ++q) {
                if (ts[q] <= s.start_s || ts[q] >= s.end_s || up * v[q] > 0.1 * peak) {
                    halt = 0;
                    continue;
                }
                halt += ts[q] - ts[q - 1];
                s.stop_s = std::max(s.stop_s, halt);
            }
            out.push_back(s);
        }
    }
    return out;
}

} // namespace bevel
