#include "core/align/halts.h"
#include <algorithm>
#include <cmath>

namespace bevel::aligning {
namespace {

constexpr double sway_hz = 1, stop_hz = 4;              // below which speeds are taken
constexpr double stop_share = 0.25, stop_least_s = 0.4; // of the figure's own speed; a shorter halt is none
constexpr double about_s = 0.3, ends_s = 0.5;           // how surely a moment of the reference is told; beside a repetition's ends
/// Parts of the body sway by 3 mm a second or so; the slowest sinking is twice as quick as this. Of stature a second, root mean square.
constexpr double sway = 0.0035;

} // namespace

Halts::Halts(const Motion& motion, const Axes& axes, const std::vector<Unit>& units) {
    const Features parts = all_parts(postures(motion, axes), axes);
    const Eigen::RowVectorXd even = Eigen::RowVectorXd::Ones(static_cast<Eigen::Index>(parts.columns.size()));
    only_sways_ = signal::quantile(speeds(parts, even, signal::uniform_grid(motion.time_s, coarse), sway_hz), 0.98) < sway;
    time_s_ = signal::uniform_grid(motion.time_s, fine);
    speed_ = speeds(parts, even, time_s_, stop_hz);
    const double noise = signal::quantile(speed_, 0.03);
    for (double& v : speed_) v = std::sqrt(std::max(0.0, v * v - noise * noise));
    for (const auto& u : units) {
        const auto& c = u.course();
        figures_.push_back({u.model, u.reference_side(),
                            speeds(all_parts(postures(*u.model, c, axes), axes), even, times(c.from(), c.to(), fine), stop_hz)});
    }
}

std::vector<Stop> Halts::in(const Repetition& r, const Unit& u, const std::vector<Still>& of_clip) const {
    std::vector<Stop> out;
    const auto known =
        std::find_if(figures_.begin(), figures_.end(), [&](const Figure& f) { return f.model == u.model && f.side == u.reference_side(); });
    if (known == figures_.end()) return out;
    const Series& figure = known->speed;
    const auto& c = u.course();
    const double pace =
        moving_time(c.from(), c.to(), u.stills) / std::max(0.1, moving_time(r.to_student(c.from()), r.to_student(c.to()), of_clip));
    const Series t = times(r.start_s, r.end_s, fine), own = signal::resample(time_s_, speed_, t);
    const Series rt = times(c.from(), c.to(), fine), moment = signal::resample(r.student_s, r.reference_s, t);
    const auto frame = [&](double at) {
        return static_cast<std::size_t>(std::clamp((at - c.from()) * fine, 0.0, static_cast<double>(rt.size() - 1)));
    };
    // What the figure does about a moment: the turning point of a course is no halt.
    auto asked_speed = [&](double at) {
        double most = 0;
        for (std::size_t k = frame(at - 0.3); k <= frame(at + 0.3); ++k) most = std::max(most, figure[k]);
        return most;
    };
    // For how long the figure itself is so slow about a moment: a turning point takes its time.
    auto slow_for = [&](double at, double limit) {
        std::size_t low = frame(at);
        for (std::size_t k = frame(at - 0.5); k <= frame(at + 0.5); ++k)
            if (figure[k] < figure[low]) low = k;
        if (figure[low] >= limit) return 0.0;
        std::size_t from = low, to = low;
        while (from > 0 && figure[from - 1] < limit) --from;
        while (to + 1 < figure.size() && figure[to + 1] < limit) ++to;
        return rt[to] - rt[from];
    };
    for (std::size_t k = 0; k < t.size(); ++k) {
        if (own[k] >= stop_share * asked_speed(moment[k]) * pace) continue;
        std::size_t e = k;
        while (e + 1 < t.size() && own[e + 1] < stop_share * asked_speed(moment[e + 1]) * pace) ++e;
        Stop stop{t[k], t[e], 0, false};
        k = e;
        const double middle = 0.5 * (stop.from_s + stop.to_s), at = r.to_reference(middle);
        const double usual = slow_for(at, stop_share * asked_speed(at)) / std::max(0.1, pace);
        // A moment of the figure is told to `about_s`, which slow practice draws out.
        if (stop.length() - 1.5 * usual <= std::max(stop_least_s, about_s / std::max(0.1, pace))) continue;
        for (const auto& p : r.phases)
            if (middle >= p.start_s && middle <= p.end_s) stop.phase = p.index;
        // Where a pause belongs, or the figure comes to rest at the end of a phase that settles: borders are told so roughly.
        auto touches = [&](double from, double to) {
            return r.to_reference(stop.to_s) > from - about_s && r.to_reference(stop.from_s) < to + about_s;
        };
        // Between repetitions everybody may stand.
        stop.asked = r.to_reference(stop.from_s) < c.from() + about_s || r.to_reference(stop.to_s) > c.to() - about_s ||
                     stop.from_s - r.start_s < ends_s || r.end_s - stop.to_s < ends_s;
        for (std::size_t p = 0; p < u.model->phases.size(); ++p) {
            const auto& phase = u.model->phases[p];
            stop.asked = stop.asked || (phase.rests && touches(c.borders[p], c.borders[p + 1])) ||
                         (phase.settles && touches(c.borders[p + 1], c.borders[p + 1]));
        }
        out.push_back(stop);
    }
    return out;
}

} // namespace bevel::aligning
