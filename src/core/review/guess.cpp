#include "core/review/guess.h"
#include "core/signal/signal.h"
#include <cmath>

namespace bevel {
namespace {

/// Spread of the logarithms of proportions among adults (Drillis and Contini; ANSUR: 4 to 6 per cent), and of one clip's estimate of them
/// from the same side (two clips of one student of the demo differ by 0.004 to 0.02).
constexpr double people_spread = 0.05, clip_error = 0.02;
/// Of 48 filmed takes on figures that nothing was fitted on, the right movement cost 0.02 to 0.39, the best wrong one 0.12 to 0.7 more; a
/// difference of 0.12 is taken for four to one.
constexpr double none_prior = 0.2;

} // namespace

std::vector<MovementGuess> guess_movement(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
    MotionOptions mo;
    mo.view = options.view;
    mo.stature_m = options.stature_m;
    mo.shoulder_width_m = options.shoulder_width_m;
    mo.errors = false; // the likeness of postures needs no error of the camera
    Track flipped;
    if (options.mirrored && !track.layers.mirrored) {
        flipped = track;
        flipped.layers.mirrored = true;
    }
    const auto motion = make_motion(flipped.frames() > 0 ? flipped : track, mo);
    if (!motion) return {};
    const auto measures = measure(*motion, {});
    std::vector<MovementGuess> out;
    for (const auto& m : movements) {
        const Reference reference(m, motion->stature);
        const auto alignment = align(*motion, measures, Form{{{&reference.model(), std::nullopt}}, true});
        MovementGuess g;
        g.movement = m.id;
        if (alignment) {
            double time = 0, cost = 0;
            for (const auto& r : alignment->repetitions) {
                time += r.end_s - r.start_s;
                cost += r.cost * (r.end_s - r.start_s);
                if (r.side) ++(*r.side == Side::left ? g.left : g.right);
            }
            g.repetitions = static_cast<int>(alignment->repetitions.size());
            g.cost = time > 0 ? cost / time : 0;
            g.share = measures.time_s.back() > measures.time_s.front() ? time / (measures.time_s.back() - measures.time_s.front()) : 0;
        }
        out.push_back(g);
    }
    // What a repetition costs, against what it explains; "none of them" stands for one that fits as badly as no right one did. Before
    // anything is seen it is a fifth, however many movements there are.
    double all = none_prior / (1 - none_prior) * static_cast<double>(out.size()) * std::exp(-per_cost * none_cost);
    for (auto& g : out) all += g.probability = g.share * std::exp(-per_cost * g.cost);
    for (auto& g : out) g.probability /= all;
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.probability > b.probability; });
    return out;
}

std::optional<BodyShape> body_shape(const Track& track) {
    if (track.width <= 0) return std::nullopt;
    MotionOptions mo;
    mo.errors = false;
    const auto motion = make_motion(track, mo);
    if (!motion || motion->neutral.source != NeutralSource::quiet_second || motion->neutral.trunk <= 0) return std::nullopt;
    const Neutral& n = motion->neutral;
    BodyShape out;
    out.view = view_name(motion->view);
    const std::array<double, BodyShape::size> lengths{n.width_from == From::quiet_stand ? n.shoulder_width : 0, n.thigh, n.shank, n.foot};
    for (std::size_t i = 0; i < lengths.size(); ++i)
        if (lengths[i] > 0) out.value[i] = std::log(lengths[i] / n.trunk);
    return out;
}

double same_body(const BodyShape& a, const BodyShape& b) {
    if (a.view != b.view) return 0;
    double sum = 0;
    for (std::size_t i = 0; i < BodyShape::size; ++i) {
        if (!a.value[i] || !b.value[i]) continue;
        const double d2 = std::pow(*a.value[i] - *b.value[i], 2);
        const double same = 2 * clip_error * clip_error, other = same + 2 * people_spread * people_spread;
        sum += 0.5 * (std::log(other / same) + d2 / other - d2 / same);
    }
    return sum;
}

} // namespace bevel
