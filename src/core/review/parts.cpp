#include "core/review/parts.h"
#include "core/review/guess.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <memory>

namespace bevel {
namespace {
constexpr double most_between_s = 6, between_of_repetition = 1.5, around_s = 1.5;
constexpr double most_way_s = 8, flush_s = 0.7; // of what lies between two movements that follow each other
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
    // All of them at once, in whatever order: each moment is of the one that explains it best together with what is about it.
    struct Candidate {
        const Movement* movement;
        std::unique_ptr<Reference> reference;
    };
    std::vector<Candidate> all;
    for (const auto& m : movements) all.push_back({&m, std::make_unique<Reference>(m, motion->stature)});
    Form form{{}, true, true};
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
    // A short stretch that goes over from what is before it into what is after, without any rest, is the way between them.
    const auto between = [&](std::size_t i) {
        if (i == 0 || i + 1 == out.size() || out[i].to_s - out[i].from_s > most_way_s) return false;
        return out[i].from_s - out[i - 1].to_s < flush_s && out[i + 1].from_s - out[i].to_s < flush_s &&
               out[i].movement != out[i - 1].movement && out[i].movement != out[i + 1].movement;
    };
    std::vector<PartGuess> kept;
    for (std::size_t i = 0; i < out.size(); ++i)
        if (!between(i)) kept.push_back(out[i]);
    // What is one again without it.
    out.clear();
    for (const auto& p : kept) {
        if (out.empty() || out.back().movement != p.movement || p.from_s - out.back().to_s > gap) {
            out.push_back(p);
            continue;
        }
        auto& one = out.back();
        one.cost = (one.cost * one.repetitions + p.cost * p.repetitions) / (one.repetitions + p.repetitions);
        one.repetitions += p.repetitions;
        one.to_s = p.to_s;
    }
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
