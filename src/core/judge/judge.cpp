#include "core/judge/judge.h"
#include "core/judge/beyond.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <memory>

namespace bevel {
namespace {

constexpr double in_three = 3; // a fault shows in a third of the repetitions

using Combined = CombinedValue;

class Judge {
public:
    Judge(const Summaries& s, std::array<const Alignment*, 2> al, const Movement& mv, const RuleBook& rules)
        : s_(s), al_(al), mv_(mv), rules_(rules) {}

    std::vector<Finding> run() {
        std::vector<Finding> out;
        for (const auto& v : s_.values) judge_one(v, out);
        link(out);
        order(out);
        return out;
    }

private:
    Finding blank(const CheckValues& v) const {
        const Check& c = mv_.checks[v.check];
        Finding f;
        f.check = c.id;
        f.rule = c.rule;
        f.measure = c.measure;
        f.unit = s_.units[v.check];
        f.side = v.side;
        f.family = family_of(c.rule);
        f.severity = c.severity;
        f.low = c.low;
        f.high = c.high;
        f.matters = c.matters;
        f.reference = c.reference;
        f.whose = c.stack.empty() ? BandLevel::movement : c.stack.back().level;
        f.good = c.good;
        f.reason = c.reason;
        f.film = c.film;
        f.of_clip = v.of_clip;
        f.own_neutral = v.own_neutral;
        if (const auto told = told_of(v.other); !told.empty()) f.other = combine(told);
        f.phase = c.phases.empty() ? "" : c.phases.front();
        return f;
    }

    using Told = std::vector<const RepetitionValue*>;

    /// Repetitions held against a band: of one phase, or of all together.
    struct Held {
        Told told;
        std::optional<double> low, high; // as this clip can tell them
        std::size_t phase = 0;           // index in the movement
        bool all = false;                // of all phases together
        /// Where the movement itself asks for what lies beyond the band, the band is about that: values are held as moved by so much, and
        /// these are what is held.
        double moved = 0;
        std::shared_ptr<std::vector<RepetitionValue>> as_moved;
    };

    /// What is beyond one end of a band, and by how much.
    struct Beyond {
        Combined value;
        double by = 0; // beyond the end, freed of what noise alone adds
        bool fault = false, some = false;
        Told repetitions; // beyond the end
    };

    /// Mean and worst third of the repetitions against one end of the band; the surer one tells it.
    static Beyond beyond_end(const Held& h, Direction d, double bound, double edge) {
        const auto& end = d == Direction::low ? h.low : h.high;
        Beyond out;
        if (!end || h.told.empty()) return out;
        auto by = [&](double x) { return d == Direction::low ? *end - x : x - *end; };
        for (const auto* r : h.told)
            if (by(r->value) > 0) out.repetitions.push_back(r);
        out.value = combine(h.told);
        out.by = by(out.value.value);
        out.some = !out.repetitions.empty();
        out.fault = out.by > std::max(bound * out.value.sigma(), edge);
        const auto n = static_cast<int>(h.told.size());
        const bool often = in_three * static_cast<double>(out.repetitions.size()) >= n;
        if (out.fault || n < 2 || !often) return out;
        Told worst = h.told;
        const auto third_end = worst.begin() + third_of(n);
        std::partial_sort(worst.begin(), third_end, worst.end(), [&](auto* a, auto* b) { return by(a->value) > by(b->value); });
        worst.erase(third_end, worst.end());
        const WorstThird chance = worst_third(n);
        Combined third = combine(worst);
        const double own = third.own * std::sqrt(static_cast<double>(worst.size())); // of one repetition
        const double noise = chance.mean * own;
        third.value += d == Direction::low ? noise : -noise;
        third.own = chance.sd * own;
        if (by(third.value) > std::max(bound * third.sigma(), edge)) {
            out.fault = true;
            out.value = third;
            out.by = by(third.value);
        }
        return out;
    }

    /// One phase. What the movement itself asks there beyond the band (each side of the movement its own) is no fault: such values are
    /// held as if what is asked lay within the band, by as much as matters. Not for safety, nor where the phase or a person has a band of
    /// its own.
    static Held phase_held(const Check& c, const PhaseValues& p) {
        Held h{told_of(p.repetitions), c.low, c.high, p.phase, false, 0, nullptr};
        if (c.severity == Severity::safety || (!c.stack.empty() && c.stack.back().level >= BandLevel::phase)) return h;
        auto by = [&](const RepetitionValue& r) -> double {
            if (r.asked && c.low && *r.asked < *c.low) return *r.asked - c.matters - *c.low;
            if (r.asked && c.high && *r.asked > *c.high) return *r.asked + c.matters - *c.high;
            return 0;
        };
        if (std::none_of(h.told.begin(), h.told.end(), [&](const auto* r) { return by(*r) != 0; })) return h;
        h.as_moved = std::make_shared<std::vector<RepetitionValue>>();
        for (const auto* r : h.told) {
            RepetitionValue moved = *r;
            const double d = by(*r);
            moved.value -= d;
            for (auto& x : moved.course) x -= static_cast<float>(d);
            h.moved += d / static_cast<double>(h.told.size());
            h.as_moved->push_back(std::move(moved));
        }
        h.told = told_of(*h.as_moved);
        return h;
    }

    void judge_one(const CheckValues& v, std::vector<Finding>& out) const {
        const Check& c = mv_.checks[v.check];
        // What nobody has asked of anybody yet, as the length of a hold before one was planned.
        auto asks = [](const BandStep& s) { return s.low || s.high; };
        if (!c.low && !c.high && std::none_of(c.stack.begin(), c.stack.end(), asks)) return;
        Finding f = blank(v);
        std::vector<Held> held;
        held.push_back({told_of(v.repetitions), c.low, c.high, 0, true, 0, nullptr});
        for (const auto& p : v.phases) {
            Held h = phase_held(c, p);
            if (!h.told.empty()) held.push_back(std::move(h));
        }
        if (held.size() == 1 && held.front().told.empty()) {
            std::map<Absent, int> missing;
            for (const auto& r : v.repetitions) ++missing[r.absent];
            // What the rule is about does not happen in this clip, or nobody said how far this student goes with ease: there is nothing to
            // say.
            missing.erase(Absent::no_occasion), missing.erase(Absent::not_recorded);
            if (missing.empty() && !v.repetitions.empty()) return;
            int most = -1;
            for (const auto& [a, n] : missing)
                if (n > most) most = n, f.absent = a;
            if (!v.repetitions.empty()) f.time_s = v.repetitions.front().time_s;
            out.push_back(std::move(f));
            return;
        }
        const double edge = c.edge.value_or(0);
        std::size_t most = 1;
        for (const auto& h : held) most = std::max(most, h.told.size());
        const double bound = bound_of(std::max(1, static_cast<int>(held.size()) - 1), static_cast<int>(most));
        // The bands as this clip can tell them; what it cannot tell is not looked at.
        Absent untold = Absent::none;
        const Held& widest = held.front().told.empty() ? held[1] : held.front();
        const Told of_figure = widest.told;
        const Combined all = combine(of_figure);
        std::vector<Held> tellable;
        for (auto& h : held) {
            if (h.told.empty()) continue;
            const Combined x = combine(h.told);
            bool widened = false;
            const Verdict verdict = verdict_of(x.value, x.sigma(), h.low, h.high, edge, widened, c.matters, bound);
            if (h.all) f.low = h.low, f.high = h.high, f.widened = widened;
            if (verdict == Verdict::cannot_tell) continue;
            const auto open = std::find_if(h.told.begin(), h.told.end(), [&](const auto* r) {
                return r->whole != Absent::none && beyond(r->value, h.low, h.high) != 0; // perhaps only while it does not matter
            });
            if (open != h.told.end()) {
                untold = (*open)->whole;
                continue;
            }
            tellable.push_back(std::move(h));
        }
        f.judged = static_cast<int>(most);
        if (tellable.empty() || (untold != Absent::none && !tellable.front().all)) {
            set(f, all, of_figure, false);
            f.absent = untold; // none: the error is larger than the band
            f.verdict = Verdict::cannot_tell;
            out.push_back(std::move(f));
            return;
        }
        if (tellable.front().all)
            for (const auto* r : tellable.front().told) f.outcomes.push_back(outcome(*r, f, edge));
        bool any = false;
        std::optional<Finding> edged;
        for (const Direction d : {Direction::low, Direction::high}) {
            std::optional<Finding> g = one_end(c, f, tellable, d, bound, edge);
            if (!g) continue;
            if (g->verdict == Verdict::outside) {
                out.push_back(std::move(*g));
                any = true;
            } else if (!edged || (g->once && !edged->once))
                edged = std::move(g);
        }
        if (any) return;
        if (edged) {
            out.push_back(std::move(*edged));
            return;
        }
        inside(c, f, tellable, all, of_figure);
        out.push_back(std::move(f));
    }

    /// What lies beyond one end of the band: a fault, or less than one.
    std::optional<Finding> one_end(const Check& c, const Finding& f, const std::vector<Held>& held, Direction d, double bound,
                                   double edge) const {
        std::vector<Beyond> at;
        for (const auto& h : held) at.push_back(beyond_end(h, d, bound, edge));
        if (std::none_of(at.begin(), at.end(), [](const Beyond& b) { return b.some; })) return std::nullopt;
        Finding g = f;
        g.direction = d;
        g.repetitions.clear();
        std::size_t phases = 0, faulty = 0;
        std::optional<std::size_t> worst, over_all; // of the phases, by how far; all together
        for (std::size_t k = 0; k < held.size(); ++k) {
            if (held[k].all) {
                if (at[k].fault) over_all = k;
                continue;
            }
            ++phases;
            if (!at[k].fault) continue;
            ++faulty;
            if (!worst || at[k].by > at[*worst].by) worst = k;
        }
        if (over_all || worst) {
            // A fault through half of the phases or more is told by its figure over all of them.
            const std::size_t led = worst && !(over_all && 2 * faulty >= phases) ? *worst : over_all.value_or(worst.value_or(0));
            const Beyond& b = at[led];
            set(g, b.value, b.repetitions, true, &held[led]);
            if (worst) {
                g.phase = mv_.phases[held[*worst].phase].id;
                if (led != *worst) g.time_s = moment(at[*worst].repetitions, held[*worst]);
            }
            std::vector<int> outside;
            for (std::size_t k = 0; k < held.size(); ++k)
                if (at[k].fault)
                    for (const auto* r : at[k].repetitions) outside.push_back(r->repetition);
            std::sort(outside.begin(), outside.end());
            outside.erase(std::unique(outside.begin(), outside.end()), outside.end());
            g.repetitions = std::move(outside);
            g.verdict = Verdict::outside;
            by_phase(g, held, &at);
            show_moved(g, held[led]);
            say(c, g);
            return g;
        }
        // One repetition far beyond: "once in eight".
        int values = 0;
        for (const auto& h : held) values += static_cast<int>(h.told.size());
        const double certain = std::max(strong, bound_of_one(values));
        const RepetitionValue* once = nullptr;
        const Held* of = nullptr;
        double most = 0;
        for (std::size_t k = 0; k < held.size(); ++k)
            for (const auto* r : at[k].repetitions) {
                const double by = std::abs(beyond(r->value, held[k].low, held[k].high));
                if (by > std::max(certain * r->sigma(), edge) && by > most) most = by, once = r, of = &held[k];
            }
        if (once) {
            set(g, combine({once}), {once}, true, of);
            g.repetitions = {once->repetition};
            g.once = true;
        } else {
            std::size_t led = 0;
            for (std::size_t k = 1; k < at.size(); ++k)
                if (at[k].some && (!at[led].some || at[k].by > at[led].by)) led = k;
            if (at[led].by <= 0) return std::nullopt; // only some repetitions, none by enough
            set(g, at[led].value, at[led].repetitions, true, &held[led]);
            for (const auto* r : at[led].repetitions) g.repetitions.push_back(r->repetition);
            of = &held[led];
        }
        g.verdict = Verdict::edge;
        by_phase(g, held, &at);
        show_moved(g, *of);
        say(c, g);
        return g;
    }

    /// The figure and band of the phase that leads, as they are.
    static void show_moved(Finding& f, const Held& h) {
        if (h.all) return;
        auto end = [&](const std::optional<double>& x) { return x ? std::optional(*x + h.moved) : std::nullopt; };
        f.low = end(h.low);
        f.high = end(h.high);
        f.value += h.moved;
    }

    /// Inside: the figure over all phases, and where it is nearest to that.
    void inside(const Check& c, Finding& f, const std::vector<Held>& held, const Combined& all, const Told& of_figure) const {
        set(f, all, of_figure, false);
        by_phase(f, held, nullptr);
        if (beyond(all.value, f.low, f.high) != 0) { // some one way, some the other, none by enough
            f.verdict = Verdict::edge;
            f.direction = all.value < f.low.value_or(-1e300) ? Direction::low : Direction::high;
            say(c, f);
            return;
        }
        f.verdict = Verdict::inside;
        // Where nothing is asked any more nothing is praised, nor what a habit would look like in its own quiet stand.
        const auto* info = measure_info(c.measure);
        const bool praised = (c.low || c.high) && !(info && info->habit && !f.own_neutral);
        f.sure = praised;
        double widest = 0;
        for (const auto& h : held) {
            const Combined x = combine(h.told);
            const double room = std::min(h.low ? x.value - *h.low : 1e300, h.high ? *h.high - x.value : 1e300) / std::max(1e-9, x.sigma());
            f.sure = f.sure && room >= sure;
            if (praised && !h.all && (h.low || h.high) && room >= sure && room > widest)
                widest = room, f.sure_phase = mv_.phases[h.phase].id;
        }
        if (f.sure) f.sure_phase.clear();
        f.allowed = agreed(c, all);
    }

    /// Each phase of a finding by itself; `at`: what is beyond the finding's end there.
    void by_phase(Finding& f, const std::vector<Held>& held, const std::vector<Beyond>* at) const {
        f.phases.clear();
        for (std::size_t k = 0; k < held.size(); ++k) {
            const Held& h = held[k];
            if (h.all) continue;
            PhaseFinding p;
            p.phase = mv_.phases[h.phase].id;
            p.low = h.low;
            p.high = h.high;
            Combined x = combine(h.told);
            const Told* shown = &h.told;
            p.verdict = beyond(x.value, h.low, h.high) != 0 ? Verdict::edge : Verdict::inside;
            if (at && (*at)[k].some) {
                const Beyond& b = (*at)[k];
                if (b.fault) {
                    p.verdict = Verdict::outside;
                    x = b.value;
                    shown = &b.repetitions;
                    for (const auto* r : b.repetitions) p.repetitions.push_back(r->repetition);
                    std::sort(p.repetitions.begin(), p.repetitions.end());
                }
            }
            p.value = x.value + h.moved;
            if (p.low) *p.low += h.moved;
            if (p.high) *p.high += h.moved;
            p.sigma = x.sigma();
            p.time_s = moment(*shown, h);
            if (p.verdict == Verdict::outside) p.share_outside = share_outside(*shown, h.low, h.high);
            f.phases.push_back(std::move(p));
        }
    }

    /// Whether only what was agreed with this student keeps the value inside.
    static bool agreed(const Check& c, const Combined& x) {
        if (c.stack.size() < 2 || c.stack.back().level != BandLevel::student) return false;
        const BandStep& usual = c.stack[c.stack.size() - 2];
        return std::abs(beyond(x.value, usual.low, usual.high)) > std::max(sure * x.sigma(), c.edge.value_or(0));
    }

    static Outcome outcome(const RepetitionValue& r, const Finding& f, double edge) {
        Outcome o;
        o.repetition = r.repetition;
        o.value = r.value;
        o.sigma = r.sigma();
        o.time_s = r.time_s;
        o.low = f.low;
        o.high = f.high;
        o.widened = f.widened;
        o.absent = Absent::none;
        const double by = std::abs(beyond(r.value, f.low, f.high));
        o.verdict = by > std::max(bound_of(1, 1) * o.sigma, edge) ? Verdict::outside : by > 0 ? Verdict::edge : Verdict::inside;
        return o;
    }

    static double share_outside(const Told& from, const std::optional<double>& low, const std::optional<double>& high) {
        std::size_t moments = 0, away = 0;
        for (const auto* r : from)
            for (const float v : r->course) ++moments, away += beyond(v, low, high) != 0 ? 1 : 0;
        return moments > 0 ? static_cast<double>(away) / static_cast<double>(moments) : 0;
    }

    /// The moment that shows it most: of the repetition that is farthest outside.
    static double moment(const Told& from, const Held& h) {
        return (*std::max_element(from.begin(), from.end(),
                                  [&](const auto* a, const auto* b) {
                                      return std::abs(beyond(a->value, h.low, h.high)) < std::abs(beyond(b->value, h.low, h.high));
                                  }))
            ->time_s;
    }

    /// The figure of a finding and the moment that shows it: the worst repetition of a fault, else the one nearest to the figure. `of`: the
    /// phase it is the figure of.
    void set(Finding& f, const Combined& x, const Told& from, bool worst, const Held* of = nullptr) const {
        f.value = x.value;
        f.own = x.own;
        f.clip = x.clip;
        f.person = x.person;
        f.sigma = x.sigma();
        const auto low = of ? of->low : f.low, high = of ? of->high : f.high;
        const RepetitionValue* best = from.front();
        for (const auto* r : from) {
            const bool nearer = worst ? std::abs(beyond(r->value, low, high)) > std::abs(beyond(best->value, low, high))
                                      : std::abs(r->value - x.value) < std::abs(best->value - x.value);
            if (nearer) best = r;
        }
        f.share_outside = share_outside(from, low, high);
        f.time_s = best->time_s;
        if (of && !of->all) {
            f.phase = mv_.phases[of->phase].id;
            return;
        }
        const auto& rep = al_[static_cast<std::size_t>(f.of_clip)]->repetitions[static_cast<std::size_t>(best->repetition)];
        for (const auto& p : rep.phases)
            if (f.time_s >= p.start_s && f.time_s < p.end_s) f.phase = p.id;
    }

    void say(const Check& c, Finding& f) const {
        std::string role;
        for (const auto& p : mv_.phases)
            if (p.id == f.phase) role = p.role;
        f.cue = (f.direction == Direction::low ? c.cue_low : c.cue_high).of(role);
    }

    void link(std::vector<Finding>& all) const {
        for (auto& low : all) {
            if (low.verdict != Verdict::outside) continue;
            const Rule* rule = rules_.find(low.rule);
            for (const auto& high : all) {
                if (!rule || high.verdict != Verdict::outside || &high == &low) continue;
                const bool leads = std::find(rule->causes.begin(), rule->causes.end(), high.rule) != rule->causes.end();
                // Repetitions of two clips are not the same ones.
                const bool together =
                    low.of_clip != high.of_clip || std::any_of(high.repetitions.begin(), high.repetitions.end(), [&](int r) {
                        return std::find(low.repetitions.begin(), low.repetitions.end(), r) != low.repetitions.end();
                    });
                if (leads && together) low.cause_of.push_back(high.check);
            }
        }
    }

    static void order(std::vector<Finding>& all) { std::stable_sort(all.begin(), all.end(), comes_first); }

    const Summaries& s_;
    std::array<const Alignment*, 2> al_;
    const Movement& mv_;
    const RuleBook& rules_;
};

} // namespace

Verdict verdict_of(double value, double sigma, std::optional<double>& low, std::optional<double>& high, double edge, bool& widened,
                   double matters, double bound) {
    widened = false;
    const double out_by = std::abs(beyond(value, low, high));
    if (low && high) {
        const double half = 0.5 * (*high - *low), middle = 0.5 * (*high + *low);
        if (sigma > half) return Verdict::cannot_tell;
        if (half < 2 * sigma) { // finer than the clip can tell
            low = middle - 2 * sigma;
            high = middle + 2 * sigma;
            widened = true;
        }
    } else if (matters > 0) {
        if (sigma > 2 * matters && out_by <= std::max(strong, bound) * sigma) return Verdict::cannot_tell;
    } else {
        // Its own bound is the scale, and only close to it does the error matter.
        const double end = low ? *low : high ? *high : 0, inside = low ? value - end : end - value;
        if (std::abs(end) > 0 && sigma > std::abs(end) && inside < sure * sigma) return Verdict::cannot_tell;
    }
    const double by = std::abs(beyond(value, low, high));
    if (by > std::max(bound * sigma, edge)) return Verdict::outside;
    return by > 0 ? Verdict::edge : Verdict::inside;
}

std::vector<Finding> judge(const Summaries& summaries, const Alignment& alignment, const Movement& movement, const RuleBook& rules) {
    return Judge(summaries, {&alignment, &alignment}, movement, rules).run();
}

std::vector<Finding> judge(const Summaries& both, const Alignment& first, const Alignment& second, const Movement& movement,
                           const RuleBook& rules) {
    return Judge(both, {&first, &second}, movement, rules).run();
}

} // namespace bevel
