#include "core/seeing/exercise.h"
#include "core/movement/astray.h"
#include <algorithm>
#include <set>

namespace bevel {
namespace {

constexpr int tries_a_movement = 8, sizings = 3;
constexpr int most_reviews = 120; // of one wish: half a minute or so; most are met by the first few
constexpr double shortest_m = 1.50, tallest_m = 1.90;

const std::array<SeeingTask, seeing_levels> tasks{{
    {1, 1, 0, 1.5, 1e9, false, {View::front, View::left, View::right}, 6},
    {1, 1, 0, 0.7, 3.0, false, {View::front, View::left, View::right}, 12},
    {2, 3, 0, 0.7, 3.0, false, {View::front, View::left, View::right}, 0},
    {1, 3, 0.2, 0.2, 1.2, false, {View::front, View::left, View::right, View::back}, 0},
    {1, 3, 0.2, 0.2, 1.2, true, {View::front, View::left, View::right, View::back}, 0},
}};

/// A way to go wrong whose size can be set: a fault of the student, or the movement done otherwise.
struct Way {
    std::optional<sim::Fault> fault;
    const Check* check = nullptr; // astray
    bool high = false;
    double size = 0; // to begin with
    std::optional<Side> side;
};
struct OfFault {
    sim::Fault fault;
    double size;
    const char* rules; // that a fault of this kind may show in, apart by blanks
};
using F = sim::Fault;
constexpr OfFault faults[] = {
    {F::stance_narrow, 0.35, "F1"},   {F::stance_wide, 0.4, "F1"},       {F::knee_in, 14, "K1"},           {F::knee_past_toe, 9, "K2"},
    {F::knee_locked, 9, "K3 K6"},     {F::early_weight, 1.0, "W1 W2"},   {F::shift_incomplete, 0.3, "W3"}, {F::lean_forward, 14, "S1"},
    {F::lean_side, 9, "S1"},          {F::head_forward, 8, "S3"},        {F::turn_gap, 28, "H2"},          {F::hurried_shift, 0.6, "W4 B1"},
    {F::halting_shift, 1.4, "W4 B1"}, {F::hips_turn_foot_off, 28, "W7"},
};
bool has_word(std::string_view words, const std::string& word) {
    const auto at = words.find(word);
    return at != std::string_view::npos && (at + word.size() == words.size() || words[at + word.size()] == ' ');
}

template <class T> void shuffle(std::vector<T>& all, Rng& rng) {
    for (std::size_t i = all.size(); i > 1; --i)
        std::swap(all[i - 1], all[static_cast<std::size_t>(rng.uniform() * static_cast<double>(i))]);
}

std::vector<Way> ways_of(const Movement& m, const std::string& rule, Rng& rng) {
    std::vector<Way> out;
    const auto judged = [&](const std::string_view rules) {
        return std::any_of(m.checks.begin(), m.checks.end(),
                           [&](const Check& c) { return has_word(rules, c.rule) && (rule.empty() || c.rule == rule); });
    };
    for (const auto& f : faults)
        if (judged(f.rules)) {
            Way w{f.fault, nullptr, false, f.size, {}};
            if (f.fault == F::lean_side) w.side = rng.uniform() < 0.5 ? Side::left : Side::right;
            out.push_back(w);
        }
    for (const auto& c : m.checks) {
        if (!rule.empty() && c.rule != rule) continue;
        for (const bool high : {false, true}) {
            if (!(high ? c.high : c.low)) continue;
            const double band = c.low && c.high ? *c.high - *c.low : std::max(3 * c.matters, std::abs(c.low.value_or(c.high.value_or(0))));
            if (band > 0 && astray(m, c, high, band)) out.push_back({{}, &c, high, band, {}});
        }
    }
    shuffle(out, rng);
    return out;
}

sim::Take film(const Exercise& e) {
    return {Score(e.done, e.take.student.score), e.take, e.only_in};
}

/// As the camera has it: no point in metres is known.
Result<std::shared_ptr<const Review>> seen_from_there(const Exercise& e, const Movement& asked) {
    ReviewOptions options;
    options.view = e.take.phone.view;
    options.stature_m = e.take.student.stature_m;
    return make_review(e.track, asked, options);
}

/// Whether it is as hard as the level asks; other: not by its size alone.
enum class Fit { good, too_small, too_large, other };
Fit fits(const WhatIsThere& truth, const SeeingTask& task, int wanted, const std::string& rule) {
    std::set<std::string> rules; // leaning now to one side and now to the other is one thing to look for
    for (const auto& v : truth.there) rules.insert(v.rule);
    const int n = static_cast<int>(rules.size());
    if (n == 0 && wanted > 0) return Fit::too_small;
    const auto size = [](const Visible& v) { return v.size; };
    if (wanted > 0) {
        std::vector<double> sizes;
        std::transform(truth.there.begin(), truth.there.end(), std::back_inserter(sizes), size);
        if (*std::max_element(sizes.begin(), sizes.end()) > task.largest) return Fit::too_large;
        if (*std::min_element(sizes.begin(), sizes.end()) < task.smallest) return n > task.most ? Fit::other : Fit::too_small;
    }
    if (wanted == 0 ? n > 0 : n < std::min(wanted, task.least) || n > task.most) return Fit::other;
    if (rule.empty() || std::any_of(truth.there.begin(), truth.there.end(), [&](const Visible& v) { return v.rule == rule; }))
        return Fit::good;
    return Fit::other;
}

/// Whether nothing shows before the repetitions that are to go wrong.
bool shows_later(const Exercise& e) {
    constexpr double leave_s = 1; // the way into them
    if (e.only_in.empty()) return true;
    const auto& all = e.review->alignment.repetitions;
    if (static_cast<int>(all.size()) != e.only_in.back() + 1) return false; // counted otherwise from this side
    const double begins = all[static_cast<std::size_t>(e.only_in.front())].start_s - leave_s;
    return std::all_of(e.truth.there.begin(), e.truth.there.end(), [&](const Visible& v) { return v.spans.front().from_s >= begins; });
}

/// As many things to choose from as the level offers: what is there, and others.
std::vector<Sayable> offered_of(const Exercise& e, const Movement& asked, int most, Rng& rng) {
    std::vector<Sayable> all = sayables(asked);
    if (most <= 0 || static_cast<int>(all.size()) <= most) return all;
    std::vector<std::size_t> keep, others;
    const auto is_there = [&](const Sayable& s) {
        Check check;
        check.rule = s.rule;
        for (const auto& c : asked.checks)
            if (c.id == s.check) check = c;
        return std::any_of(e.truth.there.begin(), e.truth.there.end(), [&](const Visible& v) {
            Check other;
            other.rule = v.rule, other.measure = v.measure;
            return v.direction == s.direction && same_to_the_eye(check, other);
        });
    };
    for (std::size_t k = 0; k < all.size(); ++k) (is_there(all[k]) ? keep : others).push_back(k);
    shuffle(others, rng);
    for (std::size_t k = 0; k < others.size() && static_cast<int>(keep.size()) < most; ++k) keep.push_back(others[k]);
    std::sort(keep.begin(), keep.end());
    std::vector<Sayable> out;
    for (const auto k : keep) out.push_back(all[k]);
    return out;
}

/// Holds it against a judge who sees all sides: whether all that the view shows is there, and what is there beyond it.
bool holds_in_the_room(Exercise& e, const sim::Take& take, const Movement& asked) {
    ReviewOptions options;
    options.view = e.take.phone.view;
    options.stature_m = e.take.student.stature_m;
    const auto all = make_review(take.track(), asked, options);
    if (!all) return false;
    const auto room = what_is_there(**all);
    const auto same = [](const Visible& a, const Visible& b) {
        return a.rule == b.rule && a.measure == b.measure && a.direction == b.direction;
    };
    const auto among = [&](const std::vector<Visible>& list, const Visible& v) {
        return std::any_of(list.begin(), list.end(), [&](const Visible& o) { return same(o, v); });
    };
    for (const auto& v : room.there) {
        const auto untold = [&](const WhatIsThere::Other& o) { return o.rule == v.rule && o.measure == v.measure; };
        if (!among(e.truth.there, v) && std::any_of(e.truth.untold.begin(), e.truth.untold.end(), untold)) e.hidden.push_back(v);
    }
    return std::all_of(e.truth.there.begin(), e.truth.there.end(), [&](const Visible& v) { return among(room.there, v); });
}

/// One way of trying: who it is, from where, what goes wrong.
struct Attempt {
    Exercise e;
    std::vector<Way> ways;
    std::vector<double> sizes;
};

void apply(Attempt& a, const Movement& asked) {
    a.e.done = asked;
    a.e.take.student.faults.clear();
    for (std::size_t k = 0; k < a.ways.size(); ++k) {
        const Way& w = a.ways[k];
        if (w.fault)
            a.e.take.student.faults.push_back({*w.fault, std::min(a.sizes[k], *w.fault == F::hurried_shift ? 0.8 : 1e9), w.side});
        else if (auto other = astray(a.e.done, *w.check, w.high, a.sizes[k]))
            a.e.done = std::move(*other);
    }
}

Result<Exercise> of_movement(const Movement& asked, const ExerciseWish& wish, Rng& rng, int& reviews, const std::stop_token& stop) {
    const SeeingTask& task = task_of(wish.level);
    auto ways = ways_of(asked, wish.rule, rng);
    auto others = wish.rule.empty() ? ways : ways_of(asked, {}, rng);
    if (task.in_some) // a movement that is done otherwise is so every time; a fault of the student comes and goes
        for (auto* all : {&ways, &others}) std::erase_if(*all, [](const Way& w) { return !w.fault; });
    const bool nothing = wish.rule.empty() && rng.uniform() < task.none;
    if (ways.empty() && !nothing) return fail(Code::cannot_judge, "exercise");
    for (int attempt = 0; attempt < tries_a_movement; ++attempt) {
        Attempt a;
        a.e.movement = asked.id, a.e.level = wish.level, a.e.seed = wish.seed;
        a.e.take = sim::take_of(rng.next(), rng.uniform(shortest_m, tallest_m));
        auto& student = a.e.take.student;
        student.tempo = rng.uniform(1.0, 1.15);
        student.score.repetitions = task.in_some ? 3 : 2;
        auto& phone = a.e.take.phone;
        phone.view = wish.view.value_or(task.views[static_cast<std::size_t>(rng.uniform() * static_cast<double>(task.views.size()))]);
        const int wanted = nothing ? 0 : task.least + static_cast<int>(rng.uniform() * (task.most - task.least + 1));
        for (int k = 0; k < wanted; ++k) {
            const auto& from = k == 0 ? ways : others;
            a.ways.push_back(from[static_cast<std::size_t>(rng.uniform() * static_cast<double>(from.size()))]);
            a.sizes.push_back(a.ways.back().size * (wish.level == SeeingLevel::plain ? 1.6 : 1));
        }
        if (task.in_some) { // done well first; the later half goes wrong, so that it is no slip
            int n = 0;
            for (const auto& key : Score(asked, student.score).keys()) n = std::max(n, key.repetition + 1);
            for (int r = n / 2; r < n; ++r) a.e.only_in.push_back(r);
        }
        for (int sizing = 0; sizing <= sizings; ++sizing) {
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            if (reviews-- <= 0) return fail(Code::cannot_judge, "exercise");
            apply(a, asked);
            if (sizing == 0) phone = sim::seeing_all(sim::Student(Score(a.e.done, student.score), student), phone);
            const sim::Take take = film(a.e);
            a.e.track = take.track();
            a.e.track.m.clear();
            auto review = seen_from_there(a.e, asked);
            if (!review || !(*review)->held_back.empty()) break;
            a.e.review = *review;
            a.e.truth = what_is_there(**review);
            a.e.hidden.clear();
            const Fit fit = fits(a.e.truth, task, wanted, wish.rule);
            if (fit == Fit::good) {
                if (!holds_in_the_room(a.e, take, asked) || !shows_later(a.e)) break;
                a.e.offered = offered_of(a.e, asked, task.offered, rng);
                return std::move(a.e);
            }
            if (fit == Fit::other || wanted == 0) break;
            for (double& s : a.sizes) s *= fit == Fit::too_small ? 1.5 : 0.6;
        }
    }
    return fail(Code::cannot_judge, "exercise");
}

} // namespace

std::string_view seeing_level_name(SeeingLevel l) {
    constexpr std::array<std::string_view, seeing_levels> names{"plain", "clear", "several", "small", "fine"};
    return names[static_cast<std::size_t>(l)];
}
std::optional<SeeingLevel> seeing_level_from_name(std::string_view name) {
    for (int k = 0; k < seeing_levels; ++k)
        if (seeing_level_name(static_cast<SeeingLevel>(k)) == name) return static_cast<SeeingLevel>(k);
    return std::nullopt;
}

const SeeingTask& task_of(SeeingLevel level) {
    return tasks[static_cast<std::size_t>(level)];
}

std::shared_ptr<const sim::Student> Exercise::student() const {
    auto s = std::make_shared<sim::Student>(Score(done, take.student.score), take.student);
    s->only_in(only_in);
    return s;
}

Result<Exercise> make_exercise(std::span<const Movement> movements, const ExerciseWish& wish, const std::stop_token& stop) {
    Rng rng(wish.seed * seeing_levels + static_cast<std::uint64_t>(wish.level));
    std::vector<const Movement*> order;
    for (const auto& m : movements)
        if (wish.rule.empty() || std::any_of(m.checks.begin(), m.checks.end(), [&](const Check& c) { return c.rule == wish.rule; }))
            order.push_back(&m);
    shuffle(order, rng);
    int reviews = most_reviews;
    for (const auto* m : order) {
        if (reviews <= 0) break;
        auto made = of_movement(*m, wish, rng, reviews, stop);
        if (made || made.error().code == Code::cancelled) return made;
    }
    return fail(Code::cannot_judge, "exercise");
}

} // namespace bevel
