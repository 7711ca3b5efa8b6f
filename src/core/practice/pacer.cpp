#include "core/practice/pacer.h"
#include "core/align/align.h"
#include "core/movement/score.h"
#include "core/practice/class_plan.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

constexpr double last_ten_s = 10, count_in = 3;

/// One exercise laid out from `from`; returns where it ends.
struct Laying {
    const Plan& plan;
    const std::vector<Movement>& movements;
    const PacerOptions& options;
    Timeline out;
    double whole_s = 1;

    double at() const { return out.stretches.empty() ? 0 : out.stretches.back().to_s; }
    void call(double at_s, Tone tone, const char* code, std::string of = {}, bool safety = false) {
        out.calls.push_back({at_s, tone, code, std::move(of), safety});
    }
    Stretch& stretch(Stretch::Kind kind, std::size_t item, double seconds) {
        Stretch s;
        s.kind = kind;
        s.item = item;
        s.from_s = at();
        s.to_s = s.from_s + std::max(0.0, seconds);
        s.movement = plan.items[item].movement;
        std::tie(s.in_s, s.out_s) = breath_at(options, s.from_s / whole_s);
        out.stretches.push_back(std::move(s));
        return out.stretches.back();
    }
    /// In and out as the pacer breathes, over a stretch without a movement.
    void breathe(const Stretch& s) {
        if (!options.breath_tones) return;
        for (double t = s.from_s; t + 0.5 * (s.in_s + s.out_s) < s.to_s;) {
            call(t, Tone::in, "in");
            call(t + s.in_s, Tone::out, "out");
            t += s.in_s + s.out_s;
        }
    }
    void halfway_and_last_ten(const Stretch& s) {
        const double length = s.to_s - s.from_s;
        if (length >= 20) call(s.from_s + 0.5 * length, Tone::halfway, "halfway");
        if (length < 15) return;
        call(s.to_s - last_ten_s, Tone::last_ten, "last_ten", "10");
        for (int n = 3; n >= 1; --n) call(s.to_s - n, Tone::last_ten, "last_ten", std::to_string(n));
    }
    /// One repeat of a movement (or of the movements of a sequence) on a side.
    void repeat(std::size_t n, const std::string& id, std::optional<Side> side, int number, int of, double seconds, bool last) {
        Stretch& s = stretch(Stretch::Kind::repeat, n, seconds);
        s.movement = id;
        s.side = side;
        s.number = number, s.of = of;
        s.last_of_side = last;
        const double from = s.from_s;
        if (options.counts) call(from, Tone::count, "count", std::to_string(number));
        const Movement* m = movement_of(plan.items[n], movements, id);
        if (!m) return;
        double at_phase = from;
        const double scale = seconds / std::max(1e-6, m->duration_s());
        if (m->course && m->part_names.size() > 1) name_parts(*m, from, scale, plan.items[n].recall);
        if (!options.breath_tones) return;
        Breath before = Breath::free;
        for (const auto& p : m->phases) {
            if (p.breath != Breath::free && p.breath != before)
                call(at_phase, p.breath == Breath::in ? Tone::in : Tone::out, p.breath == Breath::in ? "in" : "out");
            before = p.breath;
            at_phase += p.duration_s * scale;
        }
    }

    /// The parts of a piece of a form by their names: each shortly before it begins; from memory, each once it is over.
    void name_parts(const Movement& m, double from, double scale, bool recall) {
        constexpr double before_s = 1.6;
        double score_s = 0, first = -1;
        int part = -1;
        for (const auto& key : *m.course) {
            if (key.phase < 0 && part >= 0) break; // stood quietly after it
            if (key.phase < 0) {
                score_s = key.time;
                continue;
            }
            if (first < 0) first = score_s; // the pacer's time runs over the phases alone
            if (key.repetition != part) {
                const double begins = from + scale * (score_s - first);
                if (!recall) call(std::max(from, begins - before_s), Tone::none, "part", name_of(m, key.repetition), true);
                if (recall && part >= 0) call(begins, Tone::none, "was_part", name_of(m, part), true);
                part = key.repetition;
            }
            score_s = key.time;
        }
        if (recall && part >= 0) call(from + scale * (score_s - first), Tone::none, "was_part", name_of(m, part), true);
    }
    static std::string name_of(const Movement& m, int part) {
        const auto k = static_cast<std::size_t>(part);
        return k < m.part_names.size() ? m.part_names[k] : std::string();
    }

    /// What comes next and how one stands for it, while there is time: a round of the same is no news.
    void set_up(std::size_t n) {
        constexpr double after_s = 4, room_s = 8;
        std::size_t next = n + 1;
        while (next < plan.items.size() && plan.items[next].part == PlanPart::settling) ++next;
        if (next >= plan.items.size() || plan.items[n].practice_s < room_s) return;
        const PlanItem& i = plan.items[next];
        if (i.part == PlanPart::opening || i.part == PlanPart::closing || i.round > 1) return;
        call(at() + after_s, Tone::none, "set_up",
             otherwise_text({i.movement.empty() && !i.sequence.empty() ? i.sequence.front() : i.movement, i.version, i.support}));
    }

    void exercise(std::size_t n) {
        const PlanItem& i = plan.items[n];
        const Movement* m = movement_named(movements, i.movement);
        if (i.part == PlanPart::opening || i.part == PlanPart::closing) {
            call(at(), Tone::begin, "stand", i.movement);
            if (i.part == PlanPart::opening && !options.out_by.empty()) call(at() + 3, Tone::none, "out_by", options.out_by);
            const Stretch s = stretch(Stretch::Kind::stand, n, i.practice_s);
            breathe(s);
            halfway_and_last_ten(s);
            call(s.to_s, i.part == PlanPart::closing ? Tone::end : Tone::none, i.part == PlanPart::closing ? "end" : "");
            return;
        }
        if (i.part == PlanPart::settling) {
            call(at(), Tone::none, "settle");
            set_up(n);
            breathe(stretch(Stretch::Kind::settle, n, i.practice_s));
            return;
        }
        if (i.change_s > 0) {
            const double from = at();
            stretch(Stretch::Kind::change, n, i.change_s);
            call(from, Tone::side, "movement", i.movement);
            double say = from + 4;
            if (i.support) call(say, Tone::none, "support", i.ladder > 0 ? std::to_string(i.ladder) : "", true), say += 3;
            for (const auto& o : i.otherwise) {
                call(say, Tone::none, o.movement == i.movement ? "otherwise_same" : "otherwise", otherwise_text(o), true);
                say += 3;
            }
            for (const auto& c : i.cautions) call(say, Tone::none, "caution", c, true), say += 4;
            if (options.attention && m && !m->attention.empty() && say < at() - 4)
                call(say, Tone::none, "attention", m->attention[n % m->attention.size()]);
        }
        if (i.holds > 0) {
            for (int h = 1; h <= i.holds; ++h) {
                call(at(), Tone::begin, "hold", std::to_string(h));
                Stretch& s = stretch(Stretch::Kind::hold, n, i.hold_s);
                s.number = h, s.of = i.holds;
                const Stretch held = s;
                breathe(held);
                halfway_and_last_ten(held);
                if (h == i.holds) continue;
                // Free breaths between, as many as the plan has time for.
                const double rest = (i.practice_s - i.holds * i.hold_s) / std::max(1, i.holds - 1);
                if (rest < 0.5) continue;
                call(at(), Tone::side, "breaths", std::to_string(2));
                stretch(Stretch::Kind::breaths, n, rest);
            }
            call(at(), Tone::side, "enough");
            return;
        }
        const int all = i.left + i.right + i.times;
        if (all == 0) return;
        const std::vector<std::string> parts = i.sequence.empty() ? std::vector<std::string>{i.movement} : i.sequence;
        std::vector<double> share;
        double sum = 0;
        for (std::size_t k = 0; k < parts.size(); ++k) {
            const Movement* part = movement_of(i, movements, parts[k]);
            // Of a join only the end of the one and the beginning of the other.
            const double s = !part ? 0
                             : i.part != PlanPart::join || part->phases.empty()
                                 ? part->duration_s()
                                 : (k == 0 ? part->phases.back() : part->phases.front()).duration_s;
            share.push_back(s), sum += s;
        }
        // Slower from repeat to repeat where that is asked; the whole takes what the plan gives it.
        const auto weight = [&](int k) { return all > 1 ? 1 + (options.slower_to - 1) * k / (all - 1) : 1.0; };
        double weights = 0;
        for (int k = 0; k < all; ++k) weights += weight(k);
        std::vector<std::pair<std::optional<Side>, int>> order;
        if (i.times > 0) order.push_back({std::nullopt, i.times});
        const bool right_first = i.first_side == "right";
        if (i.left + i.right > 0) {
            order.push_back({right_first ? Side::right : Side::left, right_first ? i.right : i.left});
            order.push_back({right_first ? Side::left : Side::right, right_first ? i.left : i.right});
        }
        int k = 0;
        for (const auto& [side, count] : order) {
            if (count == 0) continue;
            if (side) call(at(), Tone::side, "side", std::string(side_name(*side)));
            for (int r = 1; r <= count; ++r, ++k) {
                const double seconds = i.practice_s * weight(k) / weights;
                for (std::size_t part = 0; part < parts.size(); ++part)
                    repeat(n, parts[part], side, r, count,
                           sum > 0 ? seconds * share[part] / sum : seconds / static_cast<double>(parts.size()), r == count);
            }
        }
    }
};

/// A spoken word is not said over an out-breath, but for counts and what keeps somebody safe: it waits for the next in-breath or the end of
/// the breath. Corrective words wait until both feet are on the floor.
void keep_out_breaths_free(Timeline& t, const Plan& plan, const std::vector<Movement>& movements) {
    for (auto& c : t.calls) {
        if (c.safety || c.tone != Tone::none || c.code.empty() || c.code == "count") continue;
        for (int tries = 0; tries < 60; ++tries) {
            const Moment m = moment_at(t, plan, movements, c.at_s + 1e-6);
            const bool corrective = c.code == "attention" || c.code == "image";
            if (m.breath != Breath::out && !(corrective && m.one_leg)) break;
            c.at_s += 0.25;
        }
    }
    std::stable_sort(t.calls.begin(), t.calls.end(), [](const Call& a, const Call& b) { return a.at_s < b.at_s; });
}

} // namespace

std::pair<double, double> breath_at(const PacerOptions& o, double share) {
    const double s = std::clamp(share, 0.0, 1.0);
    const double in = o.in_to_s > 0 ? o.in_s + s * (o.in_to_s - o.in_s) : o.in_s;
    const double out = o.out_to_s > 0 ? o.out_s + s * (o.out_to_s - o.out_s) : o.out_s;
    return {in, std::clamp(out, in, breath_ratio_most * in)};
}

Timeline timeline_of(const Plan& plan, const std::vector<Movement>& movements, const PacerOptions& options) {
    Laying lay{plan, movements, options, {}, std::max(1.0, plan.total_s())};
    for (std::size_t n = 0; n < plan.items.size(); ++n) lay.exercise(n);
    Timeline t = std::move(lay.out);
    std::erase_if(t.stretches, [](const Stretch& s) { return s.to_s <= s.from_s; });
    t.length_s = t.stretches.empty() ? 0 : t.stretches.back().to_s;
    keep_out_breaths_free(t, plan, movements);
    return t;
}

Moment moment_at(const Timeline& t, const Plan& plan, const std::vector<Movement>& movements, double at_s) {
    Moment m;
    if (t.stretches.empty()) return m;
    auto it = std::upper_bound(t.stretches.begin(), t.stretches.end(), at_s, [](double v, const Stretch& s) { return v < s.from_s; });
    if (it != t.stretches.begin()) --it;
    const Stretch& s = *it;
    m.stretch = static_cast<std::size_t>(it - t.stretches.begin());
    m.left_s = std::max(0.0, s.to_s - at_s);
    for (auto k = it; k != t.stretches.end(); ++k) {
        if (k->item == s.item) m.item_left_s = std::max(0.0, k->to_s - at_s);
        if (k->item != s.item && plan.items[k->item].part != PlanPart::settling) {
            m.next_item = k->item;
            break;
        }
    }
    const Movement* mv = movement_of(plan.items[s.item], movements, s.movement);
    const double in = std::clamp(at_s - s.from_s, 0.0, s.to_s - s.from_s);
    if (s.kind == Stretch::Kind::repeat && mv && !mv->phases.empty()) {
        const auto& item = plan.items[s.item];
        const bool join = item.part == PlanPart::join && item.sequence.size() == 2;
        const double whole = mv->duration_s();
        // Of a join the last phase of the one, the first of the other.
        const double first = join && s.movement == item.sequence[0] ? whole - mv->phases.back().duration_s : 0;
        const double part = join ? (s.movement == item.sequence[0] ? mv->phases.back() : mv->phases.front()).duration_s : whole;
        m.movement_s = first + part * in / std::max(1e-6, s.to_s - s.from_s);
        double from = 0;
        for (const auto& p : mv->phases) {
            if (m.movement_s < from + p.duration_s || &p == &mv->phases.back()) {
                m.phase = p.id;
                m.breath = p.breath;
                const double share = std::clamp((m.movement_s - from) / std::max(1e-6, p.duration_s), 0.0, 1.0);
                m.fullness = p.breath == Breath::in ? share : p.breath == Breath::out ? 1 - share : 0.5;
                m.one_leg = p.posture.left_foot.contact == Contact::off || p.posture.right_foot.contact == Contact::off;
                break;
            }
            from += p.duration_s;
        }
        return m;
    }
    if (s.kind == Stretch::Kind::hold && mv) { // the posture that is held: the end of the phase that lasts longest
        double from = 0, longest = 0;
        for (const auto& p : mv->phases) {
            from += p.duration_s;
            if (p.duration_s > longest) longest = p.duration_s, m.movement_s = from - 1e-3, m.phase = p.id;
        }
    }
    if (s.kind == Stretch::Kind::change || s.kind == Stretch::Kind::breaths || s.in_s <= 0) {
        m.fullness = 0.5;
        return m;
    }
    const double cycle = s.in_s + s.out_s, at = std::fmod(in, cycle);
    m.breath = at < s.in_s ? Breath::in : Breath::out;
    m.fullness = at < s.in_s ? at / s.in_s : 1 - (at - s.in_s) / s.out_s;
    return m;
}

Pacer::Pacer(Plan plan, const std::vector<Movement>& movements, PacerOptions options)
    : plan_(std::move(plan)), movements_(movements), options_(options), timeline_(timeline_of(plan_, movements_, options_)) {}

std::size_t Pacer::item_now() const {
    return timeline_.stretches.empty() ? 0 : timeline_.stretches[now().stretch].item;
}

double Pacer::begin_of(std::size_t item) const {
    for (const auto& s : timeline_.stretches)
        if (s.item >= item) return s.from_s;
    return timeline_.length_s;
}

std::vector<Call> Pacer::take_due() {
    std::vector<Call> out;
    for (const auto& c : timeline_.calls)
        if (c.at_s > told_s_ && c.at_s <= at_s_) out.push_back(c);
    told_s_ = std::max(told_s_, at_s_);
    return out;
}

void Pacer::advance(double seconds) {
    if (!running_ || waits_ || !(seconds > 0)) return;
    while (seconds > 0 && !ended()) {
        const Stretch& s = timeline_.stretches[now().stretch];
        const double step = std::min(seconds, s.to_s - at_s_);
        at_s_ += step;
        seconds -= step;
        done_s_ += step;
        Done& d = counted_[s.movement];
        if (d.movement.empty()) d.movement = s.movement, order_.push_back(s.movement);
        if (s.kind != Stretch::Kind::change && s.kind != Stretch::Kind::settle) d.seconds += step;
        if (at_s_ < s.to_s - 1e-9) break;
        at_s_ = s.to_s;
        if (s.kind == Stretch::Kind::repeat) s.side == Side::left ? ++d.left : s.side == Side::right ? ++d.right : ++d.times;
        if (s.kind == Stretch::Kind::hold) ++d.times;
        if (options_.wait_for_tap && s.kind == Stretch::Kind::repeat && !ended()) {
            waits_ = true;
            break;
        }
    }
    if (ended()) running_ = false;
}

void Pacer::tap() {
    if (waits_)
        waits_ = false;
    else
        running_ = !running_ && !ended();
}

void Pacer::go_to(double at_s) {
    at_s_ = std::clamp(at_s, 0.0, timeline_.length_s);
    told_s_ = at_s_ - 1e-9; // what belongs to this moment is told again
    waits_ = false;
}

void Pacer::back() {
    const std::size_t item = item_now();
    const double begin = begin_of(item);
    if (at_s_ - begin > 3 || item == 0) return go_to(begin);
    std::size_t before = item - 1;
    while (before > 0 && plan_.items[before].part == PlanPart::settling) --before;
    go_to(begin_of(before));
}

void Pacer::skip() {
    const auto next = now().next_item;
    go_to(next ? begin_of(*next) : timeline_.length_s);
    if (ended()) running_ = false;
}

/// Laid out anew after the plan was changed: the same place of the same exercise, as far as it is there.
void Pacer::lay_out() {
    const std::size_t item = item_now();
    const double in = at_s_ - begin_of(item);
    const double told = told_s_ - at_s_;
    timeline_ = timeline_of(plan_, movements_, options_);
    at_s_ = std::min(begin_of(item) + in, timeline_.length_s);
    told_s_ = at_s_ + told;
}

void Pacer::longer() {
    if (timeline_.stretches.empty()) return;
    PlanItem& i = plan_.items[item_now()];
    const double each = i.left + i.right + i.times > 0 ? i.practice_s / (i.left + i.right + i.times) : 0;
    if (i.holds > 0) {
        const double rest = i.holds > 1 ? (i.practice_s - i.holds * i.hold_s) / (i.holds - 1) : 2 * plan_.breath_s;
        ++i.holds;
        i.practice_s += i.hold_s + rest;
    } else if (i.times > 0) {
        ++i.times, i.practice_s += each;
    } else if (i.left + i.right > 0) {
        ++i.left, ++i.right, i.practice_s += 2 * each;
    } else {
        i.practice_s += 30;
    }
    lay_out();
}

void Pacer::once_more_other_side() {
    if (timeline_.stretches.empty()) return;
    const Stretch& s = timeline_.stretches[now().stretch];
    PlanItem& i = plan_.items[s.item];
    if (i.left + i.right == 0) return;
    const double each = i.practice_s / (i.left + i.right + i.times);
    const Side under_way = s.side.value_or(i.first_side == "right" ? Side::right : Side::left);
    const bool second = under_way == (i.first_side == "right" ? Side::left : Side::right);
    // On the side that is still to come it is one more there; where that is over, one is added after this one.
    if (second) {
        PlanItem more = i;
        more.change_s = change_of_stance_s;
        more.cautions.clear();
        more.left = under_way == Side::right ? 1 : 0;
        more.right = under_way == Side::left ? 1 : 0;
        more.times = 0;
        more.practice_s = each;
        plan_.items.insert(plan_.items.begin() + static_cast<std::ptrdiff_t>(s.item) + 1, more);
    } else {
        under_way == Side::left ? ++i.right : ++i.left;
        i.practice_s += each;
    }
    lay_out();
}

double Pacer::behind_s(double elapsed_s) const {
    return elapsed_s + (timeline_.length_s - at_s_) - 60 * plan_.minutes;
}

std::vector<std::size_t> Pacer::could_drop(double elapsed_s) const {
    double behind = behind_s(elapsed_s);
    std::vector<std::pair<int, std::size_t>> order;
    const std::size_t here = item_now();
    for (std::size_t n = here + 1; n < plan_.items.size(); ++n) {
        const auto& i = plan_.items[n];
        if (i.locked || i.part == PlanPart::closing || i.part == PlanPart::settling || i.seconds() <= 0) continue;
        int need = 0;
        for (const auto& w : i.why) {
            using C = PlanReason::Code;
            need = std::max(need, w.code == C::asked || w.code == C::drill_for ? 5
                                  : w.code == C::eases                         ? 4
                                  : w.code == C::wanted                        ? 3
                                  : w.code == C::theme || w.code == C::grows   ? 2
                                  : w.code == C::prepares                      ? 1
                                                                               : 0);
        }
        order.emplace_back(need, n);
    }
    std::stable_sort(order.begin(), order.end(),
                     [](const auto& a, const auto& b) { return a.first != b.first ? a.first < b.first : a.second > b.second; });
    std::vector<std::size_t> out;
    for (const auto& [need, n] : order) {
        if (behind <= 30) break;
        out.push_back(n);
        behind -= plan_.items[n].seconds();
        if (n + 1 < plan_.items.size() && plan_.items[n + 1].part == PlanPart::settling) behind -= plan_.items[n + 1].seconds();
    }
    std::sort(out.begin(), out.end());
    return out;
}

void Pacer::drop(const std::vector<std::size_t>& items) {
    const std::size_t here = item_now();
    std::vector<std::size_t> gone;
    for (const auto n : items) {
        if (n <= here || n >= plan_.items.size()) continue;
        gone.push_back(n);
        if (n + 1 < plan_.items.size() && plan_.items[n + 1].part == PlanPart::settling)
            gone.push_back(n + 1); // the pause after it goes too
    }
    std::sort(gone.begin(), gone.end());
    gone.erase(std::unique(gone.begin(), gone.end()), gone.end());
    for (auto it = gone.rbegin(); it != gone.rend(); ++it) plan_.items.erase(plan_.items.begin() + static_cast<std::ptrdiff_t>(*it));
    lay_out();
}

std::vector<Pacer::Done> Pacer::done() const {
    std::vector<Done> out;
    for (const auto& id : order_)
        if (const Done& d = counted_.at(id); d.seconds > 0) out.push_back(d);
    return out;
}

} // namespace bevel
