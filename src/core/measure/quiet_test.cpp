#include "core/measure/quiet_test.h"
#include "core/measure/holds.h"
#include "core/measure/own_moment.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

using signal::Series;

constexpr std::array<std::string_view, quiet_test_count> names{"one_leg_stand", "sit_to_stand",       "quiet_stand",
                                                               "heel_raises",   "comfortable_ranges", "neutral_stand"};

bool supported(std::span<const SupportState> states, double from, double to) {
    return std::any_of(states.begin(), states.end(), [&](const SupportState& s) { return s.from_s < to && s.to_s > from; });
}

/// The longest time that a foot is off the floor without touching it.
struct Stood {
    std::size_t from = 0, to = 0; // frames, half-open
    double length = 0;
};
Stood longest_off(const Measures& ms, Side free) {
    const auto& c = ms.contact[static_cast<std::size_t>(free)];
    Stood best;
    for (std::size_t f = 0; f < c.size();) {
        std::size_t to = f;
        while (to < c.size() && c[to] == Contact::off) ++to;
        if (to > f) {
            // It is up until the frame on which it is down again.
            const double length = ms.time_s[std::min(to, c.size() - 1)] - ms.time_s[f];
            if (length > best.length) best = {f, to, length};
        }
        f = std::max(to, f + 1);
    }
    return best;
}

Result<QuietTestTaken> one_leg(const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    constexpr double least_s = 1;     // a step is shorter
    constexpr double by_eye_s = 0.15; // one camera sees a foot leave and touch by its tilt and place, not by its height
    QuietTestTaken out;
    out.test = QuietTest::one_leg_stand;
    out.from_s = 1e18, out.to_s = -1e18;
    bool ended = false, cut = false, held = false;
    for (const Side leg : {Side::left, Side::right}) {
        const Side free = other(leg);
        const Stood s = longest_off(ms, free);
        if (s.length < least_s) continue;
        const auto& sigma = ms.contact_sigma[static_cast<std::size_t>(free)];
        const auto moment = [&](std::size_t f) {
            const double own = f < sigma.size() && sigma[f] > 0 ? sigma[f] : std::max(0.05, 1 / std::max(1.0, m.rate));
            return m.from_pictures() ? std::hypot(own, by_eye_s) : own;
        };
        const double from = ms.time_s[s.from], to = from + s.length;
        out.figures.push_back({"time", "s", leg, std::min(s.length, one_leg_most_s), std::hypot(moment(s.from), moment(s.to))});
        ended = ended || s.length >= one_leg_most_s;
        cut = cut || s.from == 0 || s.to >= ms.time_s.size();
        held = held || supported(states, from, to);
        out.from_s = std::min(out.from_s, from), out.to_s = std::max(out.to_s, to);
    }
    if (out.figures.empty()) return fail(Code::cannot_judge, "not_shown");
    if (out.figures.size() < 2) out.notes.emplace_back("one_side");
    if (ended) out.notes.emplace_back("ended");
    if (cut) out.notes.emplace_back("cut");
    if (held) out.notes.emplace_back("supported");
    return out;
}

/// A series of a measure with its gaps bridged, and the median of what it wanders by from frame to frame.
std::optional<std::pair<Series, double>> course_of(const Measures& ms, const std::string& id, std::optional<Side> side = std::nullopt) {
    const auto* s = ms.find(id, side);
    if (!s) return std::nullopt;
    Series y(ms.time_s.size(), NAN), own;
    for (std::size_t f = 0; f < y.size(); ++f)
        if (s->samples[f].present()) y[f] = s->samples[f].value, own.push_back(static_cast<double>(s->samples[f].own));
    if (own.size() * 2 < y.size() || own.size() < 10) return std::nullopt;
    y = signal::fill_gaps(ms.time_s, y, 1e9);
    double last = 0;
    for (double& v : y) last = v = std::isfinite(v) ? v : last;
    return std::pair{std::move(y), signal::median(own)};
}

/// Where a course goes from below one level to above another and back: a Schmitt trigger. Pairs of the frames on which it came to be high
/// and low again (one past the end where it stays high).
std::vector<std::pair<std::size_t, std::size_t>> highs(const Series& y, double low, double high) {
    std::vector<std::pair<std::size_t, std::size_t>> out;
    bool up = !y.empty() && y.front() > high;
    std::size_t since = 0;
    for (std::size_t f = 1; f < y.size(); ++f) {
        if (!up && y[f] > high) up = true, since = f;
        if (up && y[f] < low) {
            up = false;
            out.emplace_back(since, f);
        }
    }
    if (up) out.emplace_back(since, y.size());
    return out;
}

/// The moment at which a course crosses a level on its way up to frame `at`, going back from it.
double crossed(const Series& t, const Series& y, std::size_t at, double level) {
    for (std::size_t f = at; f > 0; --f)
        if (y[f - 1] < level && y[f] >= level) return t[f - 1] + (level - y[f - 1]) / (y[f] - y[f - 1]) * (t[f] - t[f - 1]);
    return t.front();
}

Result<QuietTestTaken> sit_to_stand(const Measures& ms, std::span<const SupportState> states) {
    // A chair takes the hips down by a third and more of their height; a squat on the way is no seat.
    constexpr double least_range = 0.22, seat_at_most = 0.78;
    const auto course = course_of(ms, "hip.height");
    if (!course) return fail(Code::cannot_judge, "view");
    const auto& [y, noise] = *course;
    const double low = signal::quantile(y, 0.03), high = signal::quantile(y, 0.97), range = high - low;
    if (range < least_range || low > seat_at_most) return fail(Code::cannot_judge, "not_shown");
    const auto stood = highs(y, low + 0.3 * range, low + 0.7 * range);
    const auto& t = ms.time_s;
    QuietTestTaken out;
    out.test = QuietTest::sit_to_stand;
    Series times;
    double first = 0, last = 0, sigma = 0;
    int rises = 0;
    for (const auto& [from, to] : stood) {
        if (from == 0) continue; // stands as the clip begins: no rise
        // Each rise against the seat before it and the stand after it.
        std::size_t seat = from;
        while (seat > 0 && y[seat - 1] < low + 0.7 * range) --seat;
        const double sat = *std::min_element(y.begin() + static_cast<std::ptrdiff_t>(seat),
                                             y.begin() + static_cast<std::ptrdiff_t>(from) + 1),
                     up = *std::max_element(y.begin() + static_cast<std::ptrdiff_t>(from), y.begin() + static_cast<std::ptrdiff_t>(to));
        std::size_t top = from;
        while (top + 1 < to && y[top] < sat + 0.9 * (up - sat)) ++top;
        const double begun = crossed(t, y, from, sat + 0.1 * (up - sat)), done = crossed(t, y, top, sat + 0.9 * (up - sat));
        if (!(done > begun)) continue;
        times.push_back(done - begun);
        if (rises++ == 0) first = begun;
        last = done;
        // What the height wanders by, over its speed where it is told.
        sigma = std::max(sigma, std::hypot(0.02, noise * (done - begun) / std::max(1e-6, 0.8 * (up - sat))));
    }
    if (rises == 0) return fail(Code::cannot_judge, "not_shown");
    out.from_s = first, out.to_s = last;
    out.figures = {{"rises", "", std::nullopt, static_cast<double>(rises), 0},
                   {"first_to_last", "s", std::nullopt, last - first, std::numbers::sqrt2 * sigma},
                   {"rise", "s", std::nullopt, signal::median(times), std::numbers::sqrt2 * sigma}};
    // The seat is part of the test; a hand on something is not.
    const bool hand =
        std::any_of(states.begin(), states.end(), [&](const SupportState& s) { return !s.seat && s.from_s < last && s.to_s > first; });
    if (hand) out.notes.emplace_back("supported");
    return out;
}

/// Height of a heel, cm, and what it wanders by: over the floor, or one camera's, from where it is lowest on the picture. There the depth
/// that is told of a foot goes with its ankle, which goes up too: its height over the floor would not.
std::optional<std::pair<Series, double>> heel_course(const Motion& m, const Measures& ms, Side side) {
    if (!m.from_pictures()) return course_of(ms, "heel.rise", side);
    if (m.foot_place.size() != m.frames() || m.sigma.size() != m.frames()) return std::nullopt;
    const std::size_t heel = side == Side::left ? 0 : 2;
    Series y(m.frames(), NAN), own;
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (m.valid[f]) {
            y[f] = 100 * m.foot_place[f][heel].y();
            own.push_back(100 * static_cast<double>(m.sigma[f][static_cast<std::size_t>(on(side, left_heel))].up));
        }
    if (own.size() * 2 < y.size() || own.size() < 10) return std::nullopt;
    y = signal::fill_gaps(m.time_s, y, 1e9);
    double last = signal::median(y);
    for (double& v : y) last = v = std::isfinite(v) ? v : last;
    return std::pair{std::move(y), signal::median(own)};
}

Result<QuietTestTaken> heel_raises(const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    constexpr double least_cm = 2; // what a heel shows by the noise of its point is less
    QuietTestTaken out;
    out.test = QuietTest::heel_raises;
    out.from_s = 1e18, out.to_s = -1e18;
    std::optional<int> raises;
    bool told = false;
    for (const Side side : {Side::left, Side::right}) {
        const auto course = heel_course(m, ms, side);
        if (!course) continue;
        told = true;
        const auto& [y, noise] = *course;
        const double floor = signal::quantile(y, 0.1), top = signal::quantile(y, 0.98), height = top - floor;
        if (height < std::max(least_cm, 2.5 * noise)) continue;
        const auto up = highs(y, floor + 0.3 * height, floor + 0.6 * height);
        if (up.empty()) continue;
        Series peaks;
        for (const auto& [from, to] : up)
            peaks.push_back(*std::max_element(y.begin() + static_cast<std::ptrdiff_t>(from), y.begin() + static_cast<std::ptrdiff_t>(to)) -
                            floor);
        // What goes with the whole clip: the scale; in the room, what the measure says of it.
        double shared = signal::median(peaks) * m.stature_sigma / std::max(0.5, m.stature);
        if (const auto* s = ms.find("heel.rise", side); s && !m.from_pictures())
            for (const auto& x : s->samples)
                if (x.present()) shared = std::max(shared, std::hypot(static_cast<double>(x.clip), static_cast<double>(x.person)));
        const auto n = static_cast<double>(peaks.size());
        out.figures.push_back({"raise_height", "cm", side, signal::median(peaks), std::hypot(shared, noise / std::sqrt(n))});
        // Both heels rise together: the foot that is seen better counts, which is the one that shows more of them.
        raises = std::max(raises.value_or(0), static_cast<int>(up.size()));
        out.from_s = std::min(out.from_s, ms.time_s[up.front().first]);
        out.to_s = std::max(out.to_s, ms.time_s[std::min(up.back().second, ms.time_s.size() - 1)]);
    }
    if (!raises) return fail(Code::cannot_judge, told ? "not_shown" : "view");
    out.figures.insert(out.figures.begin(), {"raises", "", std::nullopt, static_cast<double>(*raises), 0});
    if (supported(states, out.from_s, out.to_s)) out.notes.emplace_back("supported");
    return out;
}

/// The body centre along one axis through a stretch, at an even rate, what is slower than half a minute kept.
constexpr double even_hz = 20, sway_hz = 2, noise_from_hz = 2.5, noise_to_hz = 4;

/// Variance that the points' own noise leaves in a course below sway_hz: where hardly any sway is, between noise_from_hz and noise_to_hz,
/// it is nearly all there is; white as it was before the points were smoothed at `cutoff_hz` (two runs of a 2nd-order Butterworth).
double noise_below(const Series& y, double cutoff_hz) {
    const auto n = y.size();
    const double corner = cutoff_hz / std::pow(std::numbers::sqrt2 - 1, 0.25);
    double mean = 0;
    for (const double v : y) mean += v / static_cast<double>(n);
    double power = 0, passed = 0, below = 0;
    for (std::size_t k = 1; k <= n / 2; ++k) {
        const double hz = static_cast<double>(k) * even_hz / static_cast<double>(n);
        const double left = 1 / std::pow(1 + std::pow(hz / corner, 4), 2); // of the power, by the smoothing
        if (hz < sway_hz) below += left;
        if (hz < noise_from_hz || hz > noise_to_hz) continue;
        double re = 0, im = 0;
        for (std::size_t i = 0; i < n; ++i) {
            const double a = 2 * std::numbers::pi * static_cast<double>(k) * static_cast<double>(i) / static_cast<double>(n);
            re += (y[i] - mean) * std::cos(a), im += (y[i] - mean) * std::sin(a);
        }
        power += 2 * (re * re + im * im) / (static_cast<double>(n) * static_cast<double>(n));
        passed += left;
    }
    return passed > 0 ? power / passed * below : 0;
}

Result<QuietTestTaken> quiet_stand(const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    const auto holds = find_holds(m, ms, {states.begin(), states.end()}, quiet_stand_least_s);
    const Hold* best = nullptr;
    for (const auto& h : holds)
        if (!h.leg && (!best || h.length_s() > best->length_s())) best = &h;
    if (!best) {
        const auto shorter = find_holds(m, ms, {states.begin(), states.end()}, 2);
        return fail(Code::cannot_judge, shorter.empty() ? "not_shown" : "too_short");
    }
    const double cutoff_hz = m.from_pictures() ? 4 : 6;
    Series centre_t, along[2];
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (m.valid[f] && m.time_s[f] >= best->from_s && m.time_s[f] <= best->to_s) {
            const double c = std::cos(m.facing[f]), s = std::sin(m.facing[f]);
            centre_t.push_back(m.time_s[f]);
            along[0].push_back(ms.centre[f].x() * c - ms.centre[f].z() * s);
            along[1].push_back(ms.centre[f].x() * s + ms.centre[f].z() * c);
        }
    if (centre_t.size() < 20) return fail(Code::cannot_judge, "too_short");
    const Series t = signal::uniform_grid(centre_t, even_hz);
    std::array<Series, 2> y{signal::resample(centre_t, along[0], t), signal::resample(centre_t, along[1], t)};
    const std::array<bool, 2> seen{m.has_x, m.has_z};
    // The stillest stretch of the asked length.
    const auto length = std::min(t.size(), static_cast<std::size_t>(quiet_stand_s * even_hz));
    std::size_t from = 0;
    double least = 1e18;
    for (std::size_t k = 0; k + length <= t.size(); k += static_cast<std::size_t>(even_hz)) {
        double sum = 0;
        for (std::size_t a = 0; a < 2; ++a) {
            if (!seen[a]) continue;
            double mean = 0, square = 0;
            for (std::size_t i = k; i < k + length; ++i) mean += y[a][i], square += y[a][i] * y[a][i];
            sum += square / static_cast<double>(length) - std::pow(mean / static_cast<double>(length), 2);
        }
        if (sum < least) least = sum, from = k;
    }
    QuietTestTaken out;
    out.test = QuietTest::quiet_stand;
    out.from_s = t[from], out.to_s = t[from + length - 1];
    std::array<Series, 2> slow;
    std::array<double, 2> noise{};
    for (std::size_t a = 0; a < 2; ++a) {
        const Series whole = signal::low_pass(t, y[a], sway_hz);
        slow[a].assign(whole.begin() + static_cast<std::ptrdiff_t>(from), whole.begin() + static_cast<std::ptrdiff_t>(from + length));
        const Series raw(y[a].begin() + static_cast<std::ptrdiff_t>(from), y[a].begin() + static_cast<std::ptrdiff_t>(from + length));
        noise[a] = noise_below(raw, cutoff_hz);
    }
    const auto covariance = [&](std::size_t a, std::size_t b) {
        const auto n = static_cast<double>(length);
        double ma = 0, mb = 0, sum = 0;
        for (std::size_t i = 0; i < length; ++i) ma += slow[a][i] / n, mb += slow[b][i] / n;
        for (std::size_t i = 0; i < length; ++i) sum += (slow[a][i] - ma) * (slow[b][i] - mb) / n;
        return sum;
    };
    // Sway turns about once in two seconds: so many looks are independent.
    const double looks = std::max(1.0, 0.5 * (out.to_s - out.from_s));
    std::array<double, 2> var{};
    for (std::size_t a = 0; a < 2; ++a) {
        var[a] = std::max(0.0, covariance(a, a) - noise[a]);
        if (!seen[a]) continue;
        const double rms = std::sqrt(var[a]);
        // By chance of so many looks, and by a third of what was taken out.
        const double off = std::hypot(rms / std::sqrt(2 * looks), rms > 0 ? 0.33 * noise[a] / (2 * rms) : std::sqrt(noise[a]));
        out.figures.push_back({a == 0 ? "sway_sideways" : "sway_forward", "mm", std::nullopt, 1000 * rms, 1000 * off});
    }
    if (seen[0] && seen[1]) {
        constexpr double chi2 = 5.991; // 95 % of two degrees of freedom
        const double cross = covariance(0, 1), det = std::max(0.0, var[0] * var[1] - cross * cross);
        const double area = 1e4 * std::numbers::pi * chi2 * std::sqrt(det);
        out.figures.push_back({"sway_area", "cm2", std::nullopt, area, area / std::sqrt(looks)});
    }
    if (supported(states, out.from_s, out.to_s)) out.notes.emplace_back("supported");
    return out;
}

Result<QuietTestTaken> comfortable_ranges(const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    constexpr double least_overhead = 0.80; // the wrists at the shoulders: below that the arms were not raised
    QuietTestTaken out;
    out.test = QuietTest::comfortable_ranges;
    out.from_s = 1e18, out.to_s = -1e18;
    const auto take = [&](const char* id, const char* unit, std::optional<Side> side, double factor, OwnBounds bounds, const char* measure,
                          std::optional<Side> of_side, const std::function<double(double)>& of) {
        const auto f = farthest_kept(ms, measure, of_side, of);
        // As a range that is taken from any clip: told to a seventh of itself.
        if (!f || f->value < bounds.least || f->value > bounds.most || f->sigma > f->value / 7) return;
        out.figures.push_back({id, unit, side, factor * f->value, factor * f->of_clip});
        out.from_s = std::min(out.from_s, f->time_s), out.to_s = std::max(out.to_s, f->time_s);
    };
    take("squat", "%", std::nullopt, 100, depth_bounds, "hip.height", std::nullopt, [](double v) { return 1 - v; });
    for (const Side s : {Side::left, Side::right}) {
        const double sign = s == Side::left ? 1 : -1; // both are signed to the own left
        take("turn", "deg", s, 1, twist_bounds, "turn.gap", std::nullopt, [sign](double v) { return sign * v; });
        take("bend", "deg", s, 1, bend_bounds, "trunk.side", std::nullopt, [sign](double v) { return sign * v; });
        take("overhead", "%", s, 100, {least_overhead, 1.4}, "hand.height", s, [](double v) { return v; });
    }
    if (out.figures.empty()) return fail(Code::cannot_judge, m.has_x || m.has_z ? "not_shown" : "view");
    if (supported(states, out.from_s, out.to_s)) out.notes.emplace_back("supported");
    return out;
}

Result<QuietTestTaken> neutral_stand(const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    const auto holds = find_holds(m, ms, {states.begin(), states.end()}, neutral_least_s);
    const Hold* best = nullptr;
    for (const auto& h : holds)
        if (!h.leg && (!best || h.length_s() > best->length_s())) best = &h;
    if (!best) return fail(Code::cannot_judge, find_holds(m, ms, {states.begin(), states.end()}, 1).empty() ? "not_shown" : "too_short");
    QuietTestTaken out;
    out.test = QuietTest::neutral_stand;
    out.from_s = best->from_s, out.to_s = best->to_s;
    const OwnFigures own = figures_at(m, 0.5 * (best->from_s + best->to_s));
    const auto part = [&](const char* id, const char* unit, std::optional<Side> side, OwnPart p, double factor) {
        if (const auto& f = own.of(p)) out.figures.push_back({id, unit, side, factor * f->value, factor * f->sigma});
    };
    const double cm = 100 * m.stature;
    part("head_ahead", "cm", std::nullopt, OwnPart::head, cm);
    part("ear_over_shoulder", "cm", Side::left, OwnPart::gap_left, cm);
    part("ear_over_shoulder", "cm", Side::right, OwnPart::gap_right, cm);
    part("gaze", "deg", std::nullopt, OwnPart::gaze, 1);
    part("upper_back", "deg", std::nullopt, OwnPart::back_upper, 1);
    part("low_back", "deg", std::nullopt, OwnPart::back_lower, 1);
    const auto middle = [&](const char* id, const char* unit, std::optional<Side> side, const char* measure, double factor) {
        const auto* s = ms.find(measure, side);
        if (!s) return;
        Series value, of_moment, of_clip;
        for (std::size_t f = 0; f < s->samples.size(); ++f)
            if (const Sample& x = s->samples[f]; x.present() && ms.time_s[f] >= best->from_s && ms.time_s[f] <= best->to_s)
                value.push_back(x.value), of_moment.push_back(static_cast<double>(x.own)), of_clip.push_back(static_cast<double>(x.clip));
        if (2 * static_cast<double>(value.size()) < best->length_s() * m.rate) return; // most of the stand tells it
        // Half a second's worth of frames is one look.
        const double looks = std::max(1.0, best->length_s() / 0.5);
        out.figures.push_back({id, unit, side, factor * signal::median(value),
                               factor * std::hypot(signal::median(of_moment) / std::sqrt(looks), signal::median(of_clip))});
    };
    middle("lean", "deg", std::nullopt, "trunk.lean", 1);
    middle("lean_side", "deg", std::nullopt, "trunk.side", 1);
    middle("shoulders", "deg", std::nullopt, "shoulder.tilt", 1);
    middle("weight_left", "%", std::nullopt, "weight.left", 100);
    middle("feet_apart", "SW", std::nullopt, "stance.width", 1);
    for (const Side s : {Side::left, Side::right}) middle("toes_out", "deg", s, "foot.angle", 1);
    if (out.figures.empty()) return fail(Code::cannot_judge, "view");
    if (best->supported) out.notes.emplace_back("supported");
    return out;
}

} // namespace

std::string_view quiet_test_name(QuietTest t) {
    return names[static_cast<std::size_t>(t)];
}

std::optional<QuietTest> quiet_test_from_name(std::string_view name) {
    const auto at = std::find(names.begin(), names.end(), name);
    return at == names.end() ? std::nullopt : std::optional(static_cast<QuietTest>(at - names.begin()));
}

const TestFigure* QuietTestTaken::find(std::string_view id, std::optional<Side> side) const {
    const auto at = std::find_if(figures.begin(), figures.end(), [&](const TestFigure& f) { return f.id == id && f.side == side; });
    return at == figures.end() ? nullptr : &*at;
}

Result<QuietTestTaken> take_quiet_test(QuietTest test, const Motion& m, const Measures& ms, std::span<const SupportState> states) {
    if (m.frames() < 10) return fail(Code::cannot_judge, "too_short");
    switch (test) {
    case QuietTest::one_leg_stand:
        return one_leg(m, ms, states);
    case QuietTest::sit_to_stand:
        return sit_to_stand(ms, states);
    case QuietTest::heel_raises:
        return heel_raises(m, ms, states);
    case QuietTest::comfortable_ranges:
        return comfortable_ranges(m, ms, states);
    case QuietTest::neutral_stand:
        return neutral_stand(m, ms, states);
    case QuietTest::quiet_stand:
        break;
    }
    return quiet_stand(m, ms, states);
}

} // namespace bevel
