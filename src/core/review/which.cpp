#include "core/review/which.h"
#include "core/review/free.h"
#include "core/review/guess.h"
#include "core/review/review.h"
#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

/// Logarithm of the likeliness of a stretch by the repetitions that lie in it: what they leave open costs as much as none of the movements.
double likely(const Alignment& a, double from, double to) {
    double covered = 0, cost = 0;
    for (const auto& r : a.repetitions) {
        const double t = std::max(0.0, std::min(to, r.end_s) - std::max(from, r.start_s));
        covered += t;
        cost += t * r.cost;
    }
    const double whole = std::max(1e-6, to - from);
    return -per_cost * (cost + std::max(0.0, whole - covered) * none_cost) / whole;
}

Result<Alignment> competing(const Motion& motion, const Measures& measures, const ReferenceModel& model) {
    return align(motion, measures, Form{{{&model, std::nullopt}}, true});
}

struct Rival {
    std::shared_ptr<const Reference> reference;
    Alignment found;
    const std::string& id() const { return reference->model().movement; }
};

} // namespace

bool near_pair(const Reference& a, const Reference& b) {
    // Of faultless students the margin varies by so much (a quarter) about that of the figures.
    const double bound = std::log(clearly) * 1.25;
    for (const auto& [shown, other] : {std::pair{&a, &b}, std::pair{&b, &a}}) {
        const auto own = competing(shown->motion(), shown->measures(), shown->model());
        const auto wrong = competing(shown->motion(), shown->measures(), other->model());
        if (!own || !wrong) continue;
        const auto& reps = own->repetitions;
        if (likely(*own, reps.front().start_s, reps.back().end_s) - likely(*wrong, reps.front().start_s, reps.back().end_s) < bound)
            return true;
    }
    return false;
}

Rivals rivals_of(std::span<const Movement> movements, double stature_m, const std::stop_token& stop) {
    Rivals out;
    for (const auto& m : movements) {
        if (stop.stop_requested()) return {};
        out.push_back(std::make_shared<const Reference>(m, stature_m));
    }
    return out;
}

std::vector<Elsewhere> elsewhere(const Review& review, std::span<const Movement> movements, const std::stop_token& stop) {
    if (review.movement.id == free_id) return {};
    std::vector<Movement> others;
    for (const auto& m : movements)
        if (m.id != review.movement.id) others.push_back(m);
    return elsewhere(review, rivals_of(others, review.motion.stature, stop), stop);
}

std::vector<Elsewhere> elsewhere(const Review& review, const Rivals& all, const std::stop_token& stop) {
    const auto& reps = review.alignment.repetitions;
    if (reps.empty() || review.movement.id == free_id) return {};
    std::vector<Rival> rivals;
    for (const auto& r : all) {
        if (stop.stop_requested()) return {};
        if (r->model().movement == review.movement.id) continue;
        if (auto found = competing(review.motion, review.measures, r->model())) rivals.push_back({r, std::move(*found)});
    }
    // The named one with all that is tried for it: smaller, with halts; and as the others are.
    const auto plain = competing(review.motion, review.measures, review.reference->model());
    const auto named = [&](const Repetition& r) {
        return std::max(likely(review.alignment, r.start_s, r.end_s), plain ? likely(*plain, r.start_s, r.end_s) : -1e9);
    };
    std::vector<Elsewhere> out;
    const auto add = [&](double from, double to, const Rival& by, double gain) {
        const bool near = gain < std::log(clearly) || near_pair(*review.reference, *by.reference);
        out.push_back({from, to, by.id(), std::exp(std::min(gain, 20.0)), near});
    };
    // All of it as one other movement.
    double time = 0, own = 0;
    for (const auto& r : reps) time += r.end_s - r.start_s, own += (r.end_s - r.start_s) * named(r);
    const Rival* best = nullptr;
    double gain = 0;
    for (const auto& x : rivals) {
        double sum = 0;
        for (const auto& r : reps) sum += (r.end_s - r.start_s) * likely(x.found, r.start_s, r.end_s);
        if ((sum - own) / time > gain) gain = (sum - own) / time, best = &x;
    }
    if (best && gain >= std::log(clearly)) {
        add(reps.front().start_s, reps.back().end_s, *best, gain);
        return out;
    }
    // Else some of it: repetitions that follow each other, or one that is very much another.
    struct Likelier {
        const Rival* by = nullptr;
        double gain = 0;
    };
    std::vector<Likelier> one(reps.size());
    for (std::size_t k = 0; k < reps.size(); ++k)
        for (const auto& x : rivals)
            if (const double g = likely(x.found, reps[k].start_s, reps[k].end_s) - named(reps[k]);
                g > std::max(std::log(clearly), one[k].gain))
                one[k] = {&x, g};
    for (std::size_t k = 0, e = 0; k < reps.size(); k = e) {
        double most = one[k].gain, least = one[k].gain;
        for (e = k + 1; e < reps.size() && one[k].by && one[e].by == one[k].by; ++e)
            most = std::max(most, one[e].gain), least = std::min(least, one[e].gain);
        if (one[k].by && (e > k + 1 || most > std::log(clearly_one))) add(reps[k].start_s, reps[e - 1].end_s, *one[k].by, least);
    }
    if (out.empty() && best && gain > std::log(perhaps)) add(reps.front().start_s, reps.back().end_s, *best, gain);
    return out;
}

namespace {
template <class Others>
Result<Competed> among(const Track& track, const Movement& movement, const Others& others, ReviewOptions options,
                       const std::stop_token& stop) {
    options.elsewhere.clear();
    auto plain = make_review(track, movement, options);
    if (!plain) return tl::unexpected(plain.error());
    Competed out{*plain, elsewhere(**plain, others, stop)};
    if (std::all_of(out.better.begin(), out.better.end(), [](const Elsewhere& e) { return e.near; })) return out;
    options.elsewhere = out.better;
    auto without = make_review(track, movement, options);
    if (!without) return tl::unexpected(without.error());
    out.review = *without;
    return out;
}
} // namespace

Result<Competed> make_review_among(const Track& track, const Movement& movement, std::span<const Movement> movements, ReviewOptions options,
                                   const std::stop_token& stop) {
    return among(track, movement, movements, std::move(options), stop);
}

Result<Competed> make_review_among(const Track& track, const Movement& movement, const Rivals& rivals, ReviewOptions options,
                                   const std::stop_token& stop) {
    return among(track, movement, rivals, std::move(options), stop);
}

std::string which_json(const WhichKept& kept) {
    nlohmann::json better = nlohmann::json::array();
    for (const auto& e : kept.better)
        better.push_back({{"from_s", e.from_s}, {"to_s", e.to_s}, {"movement", e.movement}, {"odds", e.odds}, {"near", e.near}});
    return nlohmann::json{{"movement", kept.movement}, {"better", better}}.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
}

std::optional<WhichKept> parse_which(const std::string& text) {
    constexpr std::size_t longest = 1 << 16, most = 500;
    if (text.empty() || text.size() > longest) return std::nullopt;
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object() || !j.contains("movement") || !j["movement"].is_string()) return std::nullopt;
    WhichKept out;
    out.movement = j["movement"].get<std::string>();
    if (!j.contains("better") || !j["better"].is_array() || j["better"].size() > most) return std::nullopt;
    for (const auto& e : j["better"]) {
        const auto number = [&](const char* key) { return e.contains(key) && e[key].is_number() ? e[key].get<double>() : NAN; };
        if (!e.is_object() || !e.contains("movement") || !e["movement"].is_string()) return std::nullopt;
        Elsewhere x{number("from_s"), number("to_s"), e["movement"].get<std::string>(), number("odds"),
                    e.contains("near") && e["near"].is_boolean() && e["near"].get<bool>()};
        if (!(x.from_s <= x.to_s) || !std::isfinite(x.to_s - x.from_s) || !(x.odds > 0)) return std::nullopt;
        out.better.push_back(std::move(x));
    }
    return out;
}

} // namespace bevel
