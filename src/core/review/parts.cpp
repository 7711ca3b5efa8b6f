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

namespace {

/// Repetitions of any of the movements that explain the clip well enough; with the longest gap between two of one part.
struct Explained {
    std::vector<RepetitionGuess> repetitions;
    double gap = most_between_s, begin = 0, end = 0;
};
Explained explain(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
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
    Explained out;
    out.begin = measures.time_s.front(), out.end = measures.time_s.back();
    signal::Series lengths;
    for (const auto& r : alignment->repetitions) lengths.push_back(r.end_s - r.start_s);
    out.gap = std::max(most_between_s, between_of_repetition * (lengths.empty() ? 0.0 : signal::median(lengths)));
    for (const auto& r : alignment->repetitions)
        if (r.cost <= none_cost) out.repetitions.push_back({all[r.entry].movement, r.side, r.start_s, r.end_s, r.cost});
    return out;
}

/// What follows one on the other of one movement is one part.
std::vector<PartGuess> together(const Explained& e) {
    std::vector<PartGuess> out;
    for (const auto& r : e.repetitions) {
        const std::string& movement = r.movement->id;
        if (!out.empty() && out.back().movement == movement && r.from_s - out.back().to_s <= e.gap) {
            auto& p = out.back();
            p.cost = (p.cost * p.repetitions + r.cost) / (p.repetitions + 1);
            ++p.repetitions;
            p.to_s = r.to_s;
        } else {
            out.push_back({r.from_s, r.to_s, movement, 1, r.cost});
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
    return kept;
}

} // namespace

std::vector<RepetitionGuess> suggest_repetitions(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
    const Explained e = explain(track, movements, options);
    std::vector<RepetitionGuess> out;
    for (const auto& part : together(e))
        for (const auto& r : e.repetitions)
            if (r.movement->id == part.movement && r.from_s >= part.from_s && r.to_s <= part.to_s) out.push_back(r);
    return out;
}

std::vector<PartGuess> suggest_parts(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
    const Explained e = explain(track, movements, options);
    if (e.repetitions.empty()) return {};
    // What is one again without the ways between.
    std::vector<PartGuess> out;
    for (const auto& p : together(e)) {
        if (out.empty() || out.back().movement != p.movement || p.from_s - out.back().to_s > e.gap) {
            out.push_back(p);
            continue;
        }
        auto& one = out.back();
        one.cost = (one.cost * one.repetitions + p.cost * p.repetitions) / (one.repetitions + p.repetitions);
        one.repetitions += p.repetitions;
        one.to_s = p.to_s;
    }
    const double begin = track.layers.trim_from_s.value_or(e.begin), end = track.layers.trim_to_s.value_or(e.end);
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
