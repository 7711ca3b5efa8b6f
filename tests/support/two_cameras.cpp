#include "support/two_cameras.h"
#include "core/fit/together.h"
#include "core/measure/measures.h"
#include "core/review/review.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <algorithm>
#include <chrono>
#include <cmath>
#include <functional>

namespace bevel::test {

namespace {
/// An adult in ordinary clothes, a phone about in front or behind and one about at a side, both looking level in a room that shows its
/// edges.
void as_asked(int number, Rng& r, PairTake& pair) {
    auto& student = pair.phone[0].options.student;
    student.stature_m = r.uniform(1.5, 1.9);
    student.stand_knee.reset();
    student.stand_lean = student.stand_head = 0;
    constexpr std::array<View, 2> front{View::front, View::back}, side{View::left, View::right};
    for (const std::size_t k : {0U, 1U}) {
        auto& o = pair.phone[k].options;
        o.student = student;
        o.family = sim::Looks::Family::lofted;
        auto& p = o.phone;
        p = {};
        p.seed = static_cast<std::uint64_t>(number) * 2 + k + 900;
        p.view = (k == 0) == (number % 2 == 0) ? front[r.uniform() < 0.7 ? 0 : 1] : side[r.uniform() < 0.5 ? 0 : 1];
        p.turn_deg = r.uniform(-15, 15);
        p.height_m = r.uniform(0.8, 1.4);
        p.focal = r.uniform(0.68, 0.95);
        p.distance_m = 4.3 * p.focal / 0.8 * student.stature_m / 1.7;
        p.tilt_deg = std::atan2(p.height_m - 0.5 * student.stature_m, p.distance_m) * 57.3 + r.uniform(-2, 2);
        p.fps = k == 0 ? 12 : 15;
    }
}
} // namespace

PairTake pair_take(int number) {
    Rng r(static_cast<std::uint64_t>(number) * 1013 + 401);
    PairTake pair;
    OddTake& a = pair.phone[0];
    a = picture_take(number + 2000);
    constexpr std::array<sim::Looks::Family, 3> families{sim::Looks::Family::lofted, sim::Looks::Family::boxy, sim::Looks::Family::draped};
    a.options.family = families[static_cast<std::size_t>(number / 3) % families.size()];
    a.options.from_s = a.quiet ? r.uniform(0, 0.5) : 3.2 * a.options.student.tempo;
    a.options.to_s = a.options.from_s + 14;
    auto& p = a.options.phone;
    p.fps = 12;
    p.bare = number % 4 == 3;
    // Any side: the first phone is not always the one in front.
    constexpr std::array<View, 4> views{View::front, View::left, View::back, View::right};
    p.view = views[static_cast<std::size_t>(number) % views.size()];
    p.turn_deg = r.uniform(-45, 45);
    OddTake& b = pair.phone[1];
    b = a;
    auto& q = b.options.phone;
    q.seed += 5555;
    q.turn_deg = p.turn_deg + (r.uniform() < 0.5 ? -1 : 1) * r.uniform(55, 115);
    q.height_m = r.uniform(0.5, 1.6);
    q.roll_deg = r.uniform() < 0.4 ? r.uniform(-5, 5) : 0;
    q.focal = std::exp(r.uniform(std::log(0.6), std::log(1.0)));
    q.distance_m = std::max(2.8, 3.6 * a.options.student.stature_m / 1.7 * q.focal / 0.8);
    q.tilt_deg = std::clamp(std::atan2(q.height_m - 0.5 * a.options.student.stature_m, q.distance_m) * 57.3 + r.uniform(-2, 2), -6.0, 15.0);
    q.fps = number % 2 == 0 ? 10 : 15;
    pair.later_s = r.uniform(-1.5, 1.5);
    b.options.from_s = std::max(0.0, a.options.from_s + pair.later_s);
    b.options.to_s = b.options.from_s + 14;
    pair.later_s = b.options.from_s - a.options.from_s;
    if (number >= odd_pairs) as_asked(number, r, pair);
    return pair;
}

namespace {

constexpr double raised_cm = 2;

/// Errors of figures held against the truth, pooled by figure; `name`: under what one is pooled.
void errors_of(const Measures& found, const Motion& motion, const sim::Take& take, std::uint64_t seed, ErrorsById& mean, ErrorsById& one,
               const std::function<std::string(const MeasureSeries&, const std::string& key)>& name,
               const std::function<bool(const std::string& key, std::size_t frame)>& counts) {
    const bool quiet = motion.neutral.source == NeutralSource::quiet_second;
    const QuietTruth stand = quiet ? quiet_truth(take, motion.neutral.from_s, motion.neutral.to_s) : QuietTruth{};
    Rng r(seed);
    ErrorsById all;
    for (const auto& [key, s] : found.series)
        for (std::size_t f = 0; f < s.samples.size() && f < take.frames(); f += 2) {
            if (!s.samples[f].present() || !counts(key, f)) continue;
            const auto truth = frame_truth(take, f, stand).value;
            const auto v = truth.find(key);
            if (v == truth.end() || (key == "weight.left" && (v->second <= 0 || v->second >= 1))) continue;
            double e = s.unit == "deg" ? std::remainder(s.samples[f].value - v->second, 360) : s.samples[f].value - v->second;
            if (s.unit == "state") e = e != 0 ? 1 : 0;
            const std::string id = name(s, key);
            all[id].push_back({e, s.samples[f].sigma});
            // A heel that is up is a figure of its own: pooled with all that stand flat it would not be seen.
            if (s.id == "heel.rise" && v->second > raised_cm) all[id + " up"].push_back({e, s.samples[f].sigma});
        }
    for (const auto& [id, e] : all) {
        double sum = 0;
        for (const auto& x : e) sum += std::abs(x.error);
        mean[id].push_back({sum / static_cast<double>(e.size()), 0});
        one[id].push_back(e[r.next() % e.size()]);
    }
}

std::string without_side(const MeasureSeries& s, const std::string& key) {
    const auto dot = key.rfind('.');
    return s.side && dot != std::string::npos ? key.substr(0, dot) : key;
}

void errors_of(const Measures& found, const Motion& motion, const sim::Take& take, std::uint64_t seed, ErrorsById& mean, ErrorsById& one) {
    errors_of(found, motion, take, seed, mean, one, without_side, [](const std::string&, std::size_t) { return true; });
}

} // namespace

void pair_errors(int number, const std::array<Track, 2>& raw, PairErrors& how, ErrorsById& mean, ErrorsById& one) {
    const PairTake pair = pair_take(number);
    const sim::Take take(kept_movement(pair.phone[0].movement), pair.phone[0].options);
    MotionOptions o;
    o.stature_m = pair.phone[0].options.student.stature_m;
    {
        MotionOptions alone = o;
        alone.errors = false;
        const auto a = make_motion(raw[0], alone), b = make_motion(raw[1], alone);
        if (a && b)
            if (const auto c = clocks_of(*a, *b); !c.empty())
                how.late_s = c[0].offset_s - pair.later_s, how.late_sigma_s = c[0].sigma_s, how.alike = c[0].alike,
                how.rivals = c.size() > 1 ? c[1].alike : 0, how.common_s = c[0].common_s;
    }
    const auto began = std::chrono::steady_clock::now();
    const auto both = put_together(raw[0], raw[1], o);
    how.took_s = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    if (!both) {
        how.why = both.error().context.empty() ? "cancelled" : both.error().context;
        return;
    }
    how.late_s = both->clocks.offset_s - pair.later_s;
    how.late_sigma_s = both->clocks.sigma_s;
    how.alike = both->clocks.alike;

    how.misfit = both->body.misfit;
    how.rounds = both->body.rounds;
    how.common_s = both->body.time_s.back() - both->body.time_s.front();
    // As a review has it: each figure from both or from the first by itself.
    Review alone;
    if (auto motion = make_motion(raw[0], o)) alone.motion = std::move(*motion);
    alone.measures = measure(alone.motion);
    const Evidence e = surest_of(both->motion, alone, Sex::mean);
    errors_of(e.measures, e.motion, take, static_cast<std::uint64_t>(number) + 99, mean, one);
}

void alone_errors(int number, std::size_t phone, const Track& raw, ErrorsById& mean, ErrorsById& one) {
    const PairTake pair = pair_take(number);
    const sim::Take take(kept_movement(pair.phone[phone].movement), pair.phone[phone].options);
    MotionOptions o;
    o.stature_m = pair.phone[phone].options.student.stature_m;
    if (const auto motion = make_motion(raw, o))
        errors_of(measure(*motion), *motion, take, static_cast<std::uint64_t>(number) + 99, mean, one);
}

bool oblique_errors(int number, const Track& raw, ObliqueErrors& out) {
    const OddTake odd = oblique_take(number);
    const sim::Take take(kept_movement(odd.movement), odd.options);
    MotionOptions o;
    o.stature_m = odd.options.student.stature_m;
    auto motion = make_motion(raw, o);
    const auto body = motion ? fit_alone(raw, o) : Result<FittedBody>(tl::unexpected(motion.error()));
    const auto fitted = body ? motion_of(*body, *motion, o) : Result<Motion>(tl::unexpected(body.error()));
    if (!fitted) {
        out.why = fitted.error().context;
        return false;
    }
    out.misfit = body->misfit, out.worst = body->worst;
    Review alone;
    alone.motion = std::move(*motion);
    alone.measures = measure(alone.motion);
    const Evidence e = filled_from(*fitted, alone, Sex::mean);
    const bool left_near = std::sin(alone.motion.azimuth[alone.motion.frames() / 2]) > 0;
    errors_of(
        e.measures, e.motion, take, static_cast<std::uint64_t>(number) + 99, out.mean, out.one,
        [&](const MeasureSeries& s, const std::string& key) {
            const std::string id = without_side(s, key);
            return s.side ? id + ((*s.side == Side::left) == left_near ? " near" : " far") : id;
        },
        [&](const std::string& key, std::size_t f) { return !alone.measures.series.at(key).samples[f].present(); });
    return true;
}

} // namespace bevel::test
