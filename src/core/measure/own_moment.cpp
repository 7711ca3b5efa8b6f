#include "core/measure/own_moment.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {

OwnFigures figures_at(const Motion& motion, double time_s) {
    // Held against nothing, the measures are the figures themselves: the same formulas, gates and errors.
    Motion m = motion;
    m.neutral.own = {};
    for (const OwnPart p : {OwnPart::head, OwnPart::gaze, OwnPart::back_upper, OwnPart::back_lower}) m.neutral.own.of(p) = OwnFigure{};
    for (const OwnPart p : {OwnPart::gap_left, OwnPart::gap_right}) m.neutral.own.of(p) = OwnFigure{1 / m.stature, 0, false};
    const Measures measures = measure(m);
    OwnFigures out;
    auto take = [&](OwnPart p, const char* id, std::optional<Side> side, double unit) {
        const auto* s = measures.find(id, side);
        if (!s) return;
        std::vector<double> value, own, clip;
        for (std::size_t f = 0; f < s->samples.size(); ++f) {
            const Sample& x = s->samples[f];
            if (!x.present() || std::abs(measures.time_s[f] - time_s) > 0.5) continue;
            value.push_back(x.value), own.push_back(x.own), clip.push_back(x.clip);
        }
        if (value.empty()) return;
        // Frames next to each other are filtered together: half a second's worth of them counts as one.
        const OwnFigure f{signal::median(value) * unit, std::hypot(signal::median(own) / std::sqrt(2.0), signal::median(clip)) * unit,
                          false};
        const auto [least, most] = bounds_of(p);
        if (f.value >= least && f.value <= most && std::isfinite(f.sigma)) out.of(p) = f;
    };
    take(OwnPart::head, "head.offset", std::nullopt, 0.01 / motion.stature);
    take(OwnPart::gap_left, "shoulder.gap", Side::left, 1 / motion.stature);
    take(OwnPart::gap_right, "shoulder.gap", Side::right, 1 / motion.stature);
    take(OwnPart::gaze, "head.pitch", std::nullopt, 1);
    // Of marked points: one frame may be all there is.
    take(OwnPart::back_upper, "back.upper", std::nullopt, 1);
    take(OwnPart::back_lower, "back.lower", std::nullopt, 1);
    return out;
}

std::optional<Farthest> farthest_kept(const Measures& measures, std::string_view id, std::optional<Side> side,
                                      const std::function<double(double)>& of) {
    const auto* s = measures.find(std::string(id), side);
    if (!s) return std::nullopt;
    constexpr double kept_s = 0.5;
    std::optional<Farthest> best;
    for (std::size_t from = 0; from < s->samples.size(); ++from) {
        Farthest here{1e9, 0, 0, measures.time_s[from]};
        bool whole = false;
        for (std::size_t f = from; f < s->samples.size() && s->samples[f].present(); ++f) {
            const Sample& x = s->samples[f];
            if (f > from && measures.time_s[f] - measures.time_s[f - 1] > 0.3) break; // a gap
            here.value = std::min(here.value, of(x.value));
            here.sigma = std::max(here.sigma, static_cast<double>(x.sigma));
            here.of_clip = std::max(here.of_clip, std::hypot(static_cast<double>(x.own), static_cast<double>(x.clip)));
            if (measures.time_s[f] - measures.time_s[from] >= kept_s) {
                whole = true;
                break;
            }
        }
        if (whole && (!best || here.value > best->value)) best = here;
    }
    return best;
}

ShownRange range_shown(const Measures& measures) {
    const auto farthest = [&](const char* id, bool sink, OwnBounds bounds) -> std::optional<double> {
        const auto f = farthest_kept(measures, id, std::nullopt, [sink](double v) { return sink ? 1 - v : std::abs(v); });
        if (!f || f->value < bounds.least || f->value > bounds.most || f->sigma > f->value / 7) return std::nullopt;
        return f->value;
    };
    return {farthest("hip.height", true, depth_bounds), farthest("turn.gap", false, twist_bounds),
            farthest("trunk.side", false, bend_bounds)};
}

} // namespace bevel
