#include "core/review/parts.h"
#include "core/review/guess.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <memory>

namespace bevel {
namespace {
constexpr double most_between_s = 6, between_of_repetition = 1.5, around_s = 1.5;
/// A repetition that fits worse than that is none of the movements (see guess.cpp).
constexpr std::size_t most_candidates = 4;
} // namespace

std::vector<PartGuess> suggest_parts(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
    MotionOptions mo;
    mo.view = options.view;
    mo.stature_m = options.stature_m;
    mo.shoulder_width_m = options.shoulder_width_m;
    mo.errors = false;
    Track flipped;
    if (options.mirrored && !track.layers.mirrored) {
        flipped = track;
        flipped.layers.mirrored = true;
    }
    const auto motion = make_motion(flipped.frames() > 0 ? flipped : track, mo);
    if (!motion || movements.empty()) return {};
    const auto measures = measure(*motion, {});
    // Each movement by itself first: those that explain some of it well are then held against each other.
    struct Candidate {
        const Movement* movement;
        std::unique_ptr<Reference> reference;
        double fit;
    };
    std::vector<Candidate> all;
    for (const auto& m : movements) {
        auto reference = std::make_unique<Reference>(m, motion->stature);
        const auto alone = align(*motion, measures, Form{{{&reference->model(), std::nullopt}}, true});
        if (!alone) continue;
        double fit = 0;
        for (const auto& r : alone->repetitions)
            if (r.cost < none_cost) fit += (r.end_s - r.start_s) * std::exp(-per_cost * r.cost);
        if (fit > 0) all.push_back({&m, std::move(reference), fit});
    }
    if (all.empty()) return {};
    std::stable_sort(all.begin(), all.end(), [](const Candidate& a, const Candidate& b) { return a.fit > b.fit; });
    if (all.size() > most_candidates) all.resize(most_candidates);
    Form form{{}, true};
    for (const auto& c : all) form.entries.push_back({&c.reference->model(), std::nullopt});
    const auto alignment = align(*motion, measures, form);
    if (!alignment) return {};
    signal::Series lengths;
    for (const auto& r : alignment->repetitions) lengths.push_back(r.end_s - r.start_s);
    const double gap = std::max(most_between_s, between_of_repetition * (lengths.empty() ? 0.0 : signal::median(lengths)));
    std::vector<PartGuess> out;
    for (const auto& r : alignment->repetitions) {
        if (r.cost > none_cost) continue;
        const std::string& movement = all[r.entry].movement->id;
        if (!out.empty() && out.back().movement == movement && r.start_s - out.back().to_s <= gap) {
            auto& p = out.back();
            p.cost = (p.cost * p.repetitions + r.cost) / (p.repetitions + 1);
            ++p.repetitions;
            p.to_s = r.end_s;
        } else {
            out.push_back({r.start_s, r.end_s, movement, 1, r.cost});
        }
    }
    // What lasts no longer than the quiet stands about it is standing by that happened to fit.
    std::erase_if(out, [](const PartGuess& p) { return p.to_s - p.from_s < 2 * around_s; });
    const double begin = track.layers.trim_from_s.value_or(measures.time_s.front()),
                 end = track.layers.trim_to_s.value_or(measures.time_s.back());
    const auto bare = out;
    for (std::size_t i = 0; i < out.size(); ++i) {
        const double before = i == 0 ? begin : 0.5 * (bare[i - 1].to_s + bare[i].from_s),
                     after = i + 1 == out.size() ? end : 0.5 * (bare[i].to_s + bare[i + 1].from_s);
        out[i].from_s = std::max(before, bare[i].from_s - around_s);
        out[i].to_s = std::min(after, bare[i].to_s + around_s);
    }
    return out;
}

} // namespace bevel
