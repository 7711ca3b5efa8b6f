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

/// Share of the time in which both feet together go through the room faster than anybody sways.
double travelling(const Motion& m) {
    constexpr double going = 0.1, smooth_hz = 1; // m/s
    signal::Series square(m.frames(), 0);
    for (const Eigen::Index axis : {0, 2}) {
        if ((axis == 0 && !m.has_x) || (axis == 2 && !m.has_z)) continue;
        signal::Series y(m.frames(), NAN);
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (m.valid[f]) y[f] = mid(m.m[f], left_ankle)[axis];
        y = signal::fill_gaps(m.time_s, y, 1e9);
        const auto v = signal::derivative(m.time_s, signal::low_pass(m.time_s, y, smooth_hz));
        for (std::size_t f = 0; f < m.frames(); ++f) square[f] += v[f] * v[f];
    }
    const auto n = std::count_if(square.begin(), square.end(), [](double x) { return x > going * going; });
    return static_cast<double>(n) / static_cast<double>(std::max<std::size_t>(1, m.frames()));
}

bool feet_stay(const Movement& m) {
    auto there = [](const FootTarget& a, const FootTarget& b) { return std::hypot(a.x - b.x, a.z - b.z) < 0.05; };
    return std::all_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) {
        return there(p.posture.left_foot, m.home.left_foot) && there(p.posture.right_foot, m.home.right_foot);
    });
}

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
    const double on_the_way = travelling(*motion);
    double none = 0; // what would be explained, had nobody gone about
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
            // Feet that stay in one place explain nobody who goes about.
            if (feet_stay(m)) {
                none = std::max(none, on_the_way * g.share * std::exp(-per_cost * g.cost));
                g.share *= 1 - on_the_way;
            }
        }
        out.push_back(g);
    }
    // What a repetition costs, against what it explains; "none of them" stands for one that fits as badly as no right one did. Before
    // anything is seen it is a fifth, however many movements there are.
    double all = none_prior / (1 - none_prior) * static_cast<double>(out.size()) * std::exp(-per_cost * none_cost);
    all += none;
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
