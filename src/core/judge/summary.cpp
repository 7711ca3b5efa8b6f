#include "core/judge/summary.h"
#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <span>

namespace bevel {
namespace {

struct Window {
    double from, to;
    std::size_t phase; // index in the movement
};

/// A phase looked at by itself leaves out so much at both ends: its borders are no surer than that.
constexpr double border_s = 0.15, border_share = 0.15;
constexpr double border_sigma_s = 0.2; // how surely the warp tells one
constexpr double least_phase_s = 0.2;

/// A moment that was found, with its 1-sigma.
struct Moment {
    double t, sigma;
};

/// One value on the way to a summary.
struct At {
    double v, own, clip, person, t;
};

class Summariser {
public:
    Summariser(const Motion& mo, const Measures& ms, const Alignment& al, const Movement& mv, const ReferenceModel& ref,
               const std::vector<SupportState>& states, const RuleBook& rules)
        : motion_(mo), ms_(ms), al_(al), mv_(mv), ref_(ref), states_(states), rules_(rules) {
        for (const auto& e : ms.events) of_kind_[static_cast<std::size_t>(e.kind)].push_back(&e); // in order of time, as the stream
        for (const auto& r : al.repetitions) {
            std::vector<double> t;
            const auto from = frame(r.start_s), to = frame(r.end_s);
            for (std::size_t f = from; f < to; ++f) t.push_back(ms.time_s[f]);
            moment_.push_back(signal::resample(r.student_s, r.reference_s, t));
            first_.push_back(from);
        }
    }

    Summaries run() {
        Summaries out;
        for (std::size_t k = 0; k < mv_.checks.size(); ++k) {
            const Check& c = mv_.checks[k];
            out.units.push_back(unit_of_measure(rules_, c.measure).value_or(""));
            const auto d = rules_.derived.find(c.measure);
            const Check& how = d == rules_.derived.end() ? c : d->second;
            if (how.form == CheckForm::same || (how.form == CheckForm::spread && how.events.empty())) {
                out.values.push_back({k, std::nullopt, {how.form == CheckForm::same ? same(how) : spread(c)}, {}, 0, {}});
                continue;
            }
            for (const Side s : {Side::left, Side::right}) {
                const bool sided = !c.side.empty() && !c.by_lead;
                if (!sided && s == Side::right) continue;
                CheckValues v{k, sided ? std::optional(s) : std::nullopt, {}, {}, 0, {}};
                for (std::size_t r = 0; r < al_.repetitions.size(); ++r) {
                    const auto& rep = al_.repetitions[r];
                    if (!rep.side && s == Side::right && c.side != "both") continue; // told once, if at all
                    if (rep.side && sided && c.side == "lead" && *rep.side != s) continue;
                    if (rep.side && sided && c.side == "rear" && *rep.side == s) continue;
                    one(c, how, r, v);
                }
                std::sort(v.phases.begin(), v.phases.end(), [](const auto& a, const auto& b) { return a.phase < b.phase; });
                if (v.phases.size() < 2) v.phases.clear(); // the one phase is all there is
                if (!v.repetitions.empty()) out.values.push_back(std::move(v));
            }
        }
        return out;
    }

private:
    std::size_t frame(double t) const {
        return static_cast<std::size_t>(std::lower_bound(ms_.time_s.begin(), ms_.time_s.end(), t) - ms_.time_s.begin());
    }

    std::vector<Window> windows(const std::vector<std::string>& phases, const Repetition& r) const {
        std::vector<Window> w;
        for (const auto& p : r.phases)
            if (phases.empty() || std::find(phases.begin(), phases.end(), p.id) != phases.end()) w.push_back({p.start_s, p.end_s, p.index});
        return w;
    }

    static std::optional<Side> side_for(const std::string& side, std::optional<Side> own, Side lead) {
        if (side == "lead") return lead;
        if (side == "rear") return other(lead);
        if (side == "own" || side == "both") return own;
        return std::nullopt;
    }

    /// Side of the body of which a measure is asked; of a sided one the check's own side unless it names another.
    static std::optional<Side> part_of(const std::string& measure, const std::string& side, std::optional<Side> own, Side lead) {
        const auto* info = measure_info(measure);
        if (!info || !info->sided) return std::nullopt;
        const auto s = side.empty() ? own : side_for(side, own, lead);
        return s ? s : lead;
    }
    static const std::vector<Sample>* samples(const Measures& ms, const std::string& measure, const std::string& side,
                                              std::optional<Side> own, Side lead) {
        const auto* series = measure_info(measure) ? ms.find(measure, part_of(measure, side, own, lead)) : nullptr;
        return series ? &series->samples : nullptr;
    }

    static bool asks_for_lead(const Check& c, const Check& how) {
        auto leads = [](const std::string& side) { return side == "lead" || side == "rear"; };
        return c.by_lead || leads(c.side) || leads(how.side) ||
               std::any_of(how.events.begin(), how.events.end(), [&](const EventPick& e) { return leads(e.side); }) ||
               std::any_of(c.when.begin(), c.when.end(), [&](const While& w) { return leads(w.side); });
    }

    /// The values of a check in one repetition, put into `out`.
    void one(const Check& c, const Check& how, std::size_t r, CheckValues& out) const {
        const auto& rep = al_.repetitions[r];
        RepetitionValue v;
        v.repetition = static_cast<int>(r);
        v.time_s = rep.start_s;
        v.absent = Absent::no_event;
        if (const auto why = cannot(c, how, rep)) {
            v.absent = *why;
            out.repetitions.push_back(std::move(v));
            return;
        }
        const RepetitionValue blank = v;
        switch (how.form) {
        case CheckForm::value:
        case CheckForm::during:
            if (how.summary == Summary::event && !how.events.empty())
                at_event(c, how, rep, out.side, v);
            else
                over_phases(c, how, r, v, out);
            break;
        case CheckForm::drift:
            drift(c, r, out.side, v);
            break;
        case CheckForm::order:
        case CheckForm::spread:
        case CheckForm::count:
            if (how.counts == "pause") {
                pause(how, rep, out.side, v);
                break;
            }
            if (how.form != CheckForm::count && !of_one_phase(how)) {
                at_moments(c, how, rep, v);
                break;
            }
            // Events that belong to one phase: each phase by itself, and the first that has them where one figure is asked for.
            for (const auto& w : windows(c.phases, rep)) {
                RepetitionValue one = blank;
                one.time_s = w.from;
                at_moments(c, how, rep, one, w.phase);
                if (v.absent != Absent::none) v = one;
                phase_of(out, w.phase).repetitions.push_back(std::move(one));
            }
            if (how.counts == "pace") pace(c, rep, v = blank);
            break;
        case CheckForm::same:
            break;
        }
        auto as_of_left = [&](RepetitionValue& x) {
            x.value = -x.value;
            for (auto& y : x.course) y = -y;
            if (x.asked) x.asked = -*x.asked;
        };
        if (c.by_lead && rep.reference_side() == Side::right) {
            as_of_left(v);
            for (auto& p : out.phases)
                if (!p.repetitions.empty() && p.repetitions.back().repetition == v.repetition) as_of_left(p.repetitions.back());
        }
        out.repetitions.push_back(std::move(v));
    }

    /// What is told by moments: between two of them, of all that belong together, or on the way of a shift.
    void at_moments(const Check& c, const Check& how, const Repetition& rep, RepetitionValue& v,
                    std::optional<std::size_t> phase = std::nullopt) const {
        if (how.form == CheckForm::order)
            order(how, rep, v, phase);
        else if (how.form == CheckForm::spread)
            together(how, rep, v, phase);
        else if (how.counts == "breath")
            breathed(rep, v, phase);
        else if (how.counts == "pace")
            pace(c, rep, v, phase);
        else if (how.counts == "length")
            length(rep, v, phase);
        else
            count(how, rep, v, phase);
    }

    /// Why a check has nothing to say of a repetition, before it is looked at.
    std::optional<Absent> cannot(const Check& c, const Check& how, const Repetition& rep) const {
        for (const auto& s : states_)
            if (s.from_s < rep.end_s && s.to_s > rep.start_s &&
                std::find(c.off_with.begin(), c.off_with.end(), s.seat ? "seat" : "support") != c.off_with.end())
                return s.seat ? Absent::seated : Absent::supported;
        if (c.three_d && motion_.from_pictures()) return Absent::view;
        if (!rep.side && asks_for_lead(c, how)) return ref_.symmetric ? Absent::no_occasion : Absent::alike;
        return std::nullopt;
    }

    static PhaseValues& phase_of(CheckValues& v, std::size_t phase) {
        const auto it = std::find_if(v.phases.begin(), v.phases.end(), [&](const PhaseValues& p) { return p.phase == phase; });
        if (it != v.phases.end()) return *it;
        v.phases.push_back({phase, {}});
        return v.phases.back();
    }

    /// Values of the phases of a check in one repetition, with the reasons of those that are missing and whether its states held at all.
    struct Gathered {
        std::vector<At> in;
        std::map<Absent, int> missing;
        std::size_t frames = 0, held = 0, told = 0; // frames of the phases; on which the states held; on which they could be told
    };

    /// `only`: of one stretch in place of the check's phases.
    Gathered gather(const Check& c, const Check& how, std::size_t r, std::optional<Side> side, std::optional<Window> only = {}) const {
        Gathered g;
        const auto& rep = al_.repetitions[r];
        const std::string& which = how.measure;
        const Side lead = rep.reference_side();
        const std::string part = how.side == "both" ? std::string("own") : how.side;
        const auto* all = samples(ms_, which, part, side, lead);
        if (!all) {
            g.missing[Absent::view] = 1;
            return g;
        }
        const auto of_part = part_of(which, part, side, lead);
        std::vector<std::pair<const std::vector<Sample>*, const While*>> states;
        for (const auto& w : c.when) states.emplace_back(samples(ms_, w.measure, w.side, side, lead), &w);
        for (const auto& w : only ? std::vector<Window>{*only} : windows(c.phases, rep))
            for (std::size_t f = frame(w.from); f < ms_.time_s.size() && ms_.time_s[f] < w.to; ++f) {
                ++g.frames;
                bool holds = true, told = true;
                for (const auto& [s, state] : states) {
                    if (!s || !(*s)[f].present()) {
                        told = holds = false;
                        if (s) ++g.missing[(*s)[f].absent];
                        break;
                    }
                    const double x = state->size ? std::abs((*s)[f].value) : (*s)[f].value;
                    if ((state->low && x < *state->low) || (state->high && x > *state->high)) holds = false;
                }
                if (told) ++g.told;
                if (!holds) continue;
                ++g.held;
                Sample s = (*all)[f];
                if (!s.present()) {
                    ++g.missing[s.absent];
                    continue;
                }
                if (c.reference) {
                    const std::size_t k = f - first_[r];
                    const auto asked = ref_.value(which, of_part, lead, k < moment_[r].size() ? moment_[r][k] : NAN);
                    if (!asked) {
                        ++g.missing[Absent::no_event];
                        continue;
                    }
                    s.value -= *asked;
                }
                g.in.push_back({c.size ? std::abs(s.value) : s.value, s.own, s.clip, s.person, ms_.time_s[f]});
            }
        return g;
    }

    static Absent most(const std::map<Absent, int>& missing, Absent fallback) {
        int n = 0;
        for (const auto& [a, count] : missing)
            if (count > n) n = count, fallback = a;
        return fallback;
    }

    static void keep_course(const std::vector<At>& in, RepetitionValue& v) {
        const std::size_t n = std::min<std::size_t>(50, in.size());
        for (std::size_t k = 0; k < n; ++k) v.course.push_back(static_cast<float>(in[k * in.size() / n].v));
    }

    static void errors(const std::vector<At>& in, RepetitionValue& v) {
        auto middle = [&](auto part) {
            std::vector<double> x;
            for (const auto& a : in) x.push_back(part(a));
            return signal::median(x);
        };
        v.own = middle([](const At& a) { return a.own; });
        v.clip = middle([](const At& a) { return a.clip; });
        v.person = middle([](const At& a) { return a.person; });
    }

    /// All phases together, and each by itself.
    void over_phases(const Check& c, const Check& how, std::size_t r, RepetitionValue& v, CheckValues& out) const {
        const RepetitionValue blank = v;
        over(c, how, r, out.side, std::nullopt, v);
        const auto all = windows(c.phases, al_.repetitions[r]);
        for (const auto& w : all) {
            const bool ends = c.summary == Summary::at_start || c.summary == Summary::at_end;
            const double trim = ends ? 0 : std::min(border_s, border_share * (w.to - w.from));
            RepetitionValue one = blank;
            one.time_s = w.from;
            over(c, how, r, out.side, Window{w.from + trim, w.to - trim, w.phase}, one);
            if (one.absent == Absent::none) one.asked = asked(c, how, al_.repetitions[r].reference_side(), out.side, w.phase);
            phase_of(out, w.phase).repetitions.push_back(std::move(one));
        }
    }

    /// What the reference itself shows in a phase, summed up as the check does; absent where it is not known for most of it.
    std::optional<double> asked(const Check& c, const Check& how, Side lead, std::optional<Side> side, std::size_t phase) const {
        if (c.reference) return 0;
        const auto& course = ref_.of(lead);
        auto curve = [&](const std::string& measure, const std::string& of) -> const Curve* {
            const auto it = course.curves.find(measure_key(measure, part_of(measure, of == "both" ? "own" : of, side, lead)));
            return it == course.curves.end() ? nullptr : &it->second;
        };
        const Curve* all = curve(how.measure, how.side);
        if (!all) return std::nullopt;
        std::vector<std::pair<const Curve*, const While*>> states;
        for (const auto& w : c.when) states.emplace_back(curve(w.measure, w.side), &w);
        constexpr auto n = ReferenceModel::points_a_phase;
        std::vector<double> x;
        const bool ends = c.summary == Summary::at_start || c.summary == Summary::at_end;
        const auto trim = ends ? std::size_t{0} : static_cast<std::size_t>(border_share * n);
        for (std::size_t k = phase * n + trim; k < (phase + 1) * n - trim && k < all->size(); ++k) {
            if (std::isnan((*all)[k])) continue;
            const bool holds = std::all_of(states.begin(), states.end(), [&](const auto& s) {
                if (!s.first || std::isnan((*s.first)[k])) return false;
                const double at = s.second->size ? std::abs((*s.first)[k]) : (*s.first)[k];
                return !(s.second->low && at < *s.second->low) && !(s.second->high && at > *s.second->high);
            });
            if (holds) x.push_back(c.size ? std::abs((*all)[k]) : (*all)[k]);
        }
        if (x.size() < (c.when.empty() ? (n - 2 * trim) / 3 : 3)) return std::nullopt;
        return summed(c.summary, x, 0);
    }

    /// The value of a course of values with so much noise. Its tails are drawn out by the noise: of the spread only the part that noise
    /// does not explain counts.
    static double summed(Summary how, const std::vector<double>& x, double noise) {
        auto tail = [&](double q) {
            const double middle = signal::median(x), spread = 0.5 * (signal::quantile(x, 0.84) - signal::quantile(x, 0.16));
            const double true_part = spread > 0 ? std::sqrt(std::max(0.0, 1 - noise * noise / (spread * spread))) : 1;
            return middle + true_part * (signal::quantile(x, q) - middle);
        };
        switch (how) {
        case Summary::max:
            return tail(0.90);
        case Summary::min:
            return tail(0.10);
        case Summary::at_start:
            return x.front();
        case Summary::at_end: { // of a phase that comes to rest there
            const std::size_t last = std::max<std::size_t>(3, x.size() * 15 / 100);
            return signal::median(std::span(x).last(std::min(last, x.size())));
        }
        default:
            return signal::median(x);
        }
    }

    void over(const Check& c, const Check& how, std::size_t r, std::optional<Side> side, std::optional<Window> only,
              RepetitionValue& v) const {
        Gathered g = gather(c, how, r, side, only);
        if (c.form == CheckForm::during && !c.when.empty() && g.told * 3 < g.frames &&
            (c.summary == Summary::max || c.summary == Summary::min)) {
            Check always = c;
            always.when.clear();
            Gathered whole = gather(always, how, r, side, only);
            if (whole.in.size() * 3 >= whole.frames && whole.in.size() >= 3) {
                v.whole = most(g.missing, Absent::view);
                whole.held = whole.told = whole.frames;
                g = std::move(whole);
            }
        }
        if (!c.when.empty() && g.told * 3 >= g.frames && static_cast<double>(g.held) * ms_rate() < 0.15) {
            v.absent = Absent::no_occasion;
            return;
        }
        // A value told for less than a third of the time is not one for the phase.
        const std::size_t asked = c.when.empty() ? g.frames : g.held;
        if (g.in.size() * 3 < asked || g.in.size() < 3 || (!c.when.empty() && g.told * 3 < g.frames)) {
            v.absent = most(g.missing, Absent::no_body);
            return;
        }
        if (only && static_cast<double>(g.in.size()) * ms_rate() < least_phase_s) {
            v.absent = Absent::no_occasion; // too short to be seen
            return;
        }
        std::vector<double> x;
        for (const auto& a : g.in) x.push_back(a.v);
        errors(g.in, v);
        v.value = summed(c.summary, x, v.own);
        v.time_s = std::min_element(g.in.begin(), g.in.end(), [&](const At& a, const At& b) {
                       return std::abs(a.v - v.value) < std::abs(b.v - v.value);
                   })->t;
        keep_course(g.in, v);
        v.absent = Absent::none;
    }

    double ms_rate() const { return 1 / motion_.rate; }

    static constexpr double long_s = 10; // what is asked of so long a beginning is a hold, looked at in windows

    /// A long hold: how far the worst of its windows is from where it began. Everybody wanders while settling: the spread of the first
    /// windows goes into the error.
    void held_long(const std::vector<At>& in, double first_s, RepetitionValue& v, bool any) const {
        std::vector<double> t, x, own, first;
        for (const auto& i : in) {
            t.push_back(i.t), x.push_back(i.v), own.push_back(i.own);
            if (i.t - t.front() < first_s) first.push_back(i.v);
        }
        const double from = signal::median(first);
        double wander = 0;
        std::vector<At> moved;
        for (const auto& w : hold_windows(t, x, own)) {
            const double by = std::abs(w.value - from);
            if (w.to_s - t.front() < first_s) wander = std::max(wander, by);
            moved.push_back({by, w.sigma, in.front().clip, in.front().person, 0.5 * (w.from_s + w.to_s)});
        }
        const At worst = *std::max_element(moved.begin(), moved.end(), [](const At& p, const At& q) { return p.v < q.v; });
        // The largest of n is noise by so many sigma.
        const double by_noise = worst.own * std::sqrt(2 * std::log(static_cast<double>(moved.size())));
        const double way = std::sqrt(std::max(0.0, worst.v * worst.v - by_noise * by_noise));
        if (any && way <= v.value) return;
        v.value = way;
        v.time_s = worst.t;
        v.own = std::hypot(1.414 * worst.own, wander);
        v.clip = 0.3 * worst.clip, v.person = 0.3 * worst.person; // what both moments share drops out
        v.course.clear();
        keep_course(moved, v);
    }

    /// The largest way from the first part of a stretch in which the states hold to any later moment of it (half-second medians).
    void drift(const Check& c, std::size_t r, std::optional<Side> side, RepetitionValue& v) const {
        const Gathered g = gather(c, c, r, side);
        if (g.in.size() < 3) {
            v.absent = g.held == 0 && g.told > 0 ? Absent::no_occasion : most(g.missing, Absent::no_body);
            return;
        }
        const double gap = 2.5 * ms_rate(), least = std::max(0.3, c.least_s);
        bool any = false;
        for (std::size_t a = 0; a < g.in.size();) {
            std::size_t b = a + 1;
            while (b < g.in.size() && g.in[b].t - g.in[b - 1].t <= gap) ++b;
            if (g.in[b - 1].t - g.in[a].t >= least) {
                std::vector<double> first;
                for (std::size_t k = a; k < b && g.in[k].t - g.in[a].t <= std::max(0.1, c.first_s); ++k) first.push_back(g.in[k].v);
                const double from = signal::median(first);
                if (c.first_s >= long_s) {
                    held_long({g.in.begin() + static_cast<std::ptrdiff_t>(a), g.in.begin() + static_cast<std::ptrdiff_t>(b)}, c.first_s, v,
                              any);
                    any = true;
                    a = b;
                    continue;
                }
                std::vector<At> moved;
                for (std::size_t k = a; k < b; ++k) {
                    At m = g.in[k];
                    m.v = std::abs(m.v - from);
                    moved.push_back(m);
                }
                std::vector<double> x;
                for (const auto& m : moved) x.push_back(m.v);
                const double way = signal::quantile(x, 0.95);
                if (!any || way > v.value) {
                    v.value = way;
                    v.course.clear();
                    keep_course(moved, v);
                    v.time_s = std::max_element(moved.begin(), moved.end(), [](const At& p, const At& q) { return p.v < q.v; })->t;
                    errors(moved, v);
                    v.own *= 1.414; // two moments; what the clip and the person share is in both and drops out
                    v.clip *= 0.3, v.person *= 0.3;
                }
                any = true;
            }
            a = b;
        }
        v.absent = any ? Absent::none : Absent::no_occasion;
    }

    /// The transfer of weight that belongs to the phases, towards the side asked.
    const Shift* shift(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase = std::nullopt) const {
        const auto towards = side_for(e.side, std::nullopt, rep.reference_side());
        const Shift* best = nullptr;
        double longest = 0;
        for (const auto& w : windows(phases_of(e), rep)) {
            if (phase && *phase != w.phase) continue;
            for (auto it = std::lower_bound(ms_.shifts.begin(), ms_.shifts.end(), w.from - 1.5,
                                            [](const Shift&s, double t) { return s.end_s < t; });
                 it != ms_.shifts.end() && it->start_s < w.to + 0.6; ++it) {
                const Shift& s = *it;
                if (towards && (*towards == Side::left) != (s.to > s.from)) continue;
                const double common = std::min(w.to + 0.6, s.end_s) - std::max(w.from - 1.5, s.start_s);
                if (common > longest) longest = common, best = &s;
            }
        }
        return best;
    }

    /// Ids of the phases an event belongs to.
    std::vector<std::string> phases_of(const EventPick& e) const {
        std::vector<std::string> out;
        for (const auto& p : mv_.phases)
            if (std::find(e.roles.begin(), e.roles.end(), p.role) != e.roles.end()) out.push_back(p.id);
        if (out.empty()) out.emplace_back(); // no phase of that role
        return out;
    }

    /// The event in the phases it belongs to, or in that one of them.
    std::optional<Moment> moment(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase = std::nullopt) const {
        const auto kind = event_from_name(e.event);
        if (!kind) return std::nullopt;
        if (*kind == EventKind::shift_onset || *kind == EventKind::shift_start || *kind == EventKind::shift_end ||
            *kind == EventKind::shift_rest) {
            const Shift* s = shift(e, rep, phase);
            if (!s) return std::nullopt;
            if (*kind == EventKind::shift_onset) return Moment{s->onset_s, s->onset_sigma_s};
            if (*kind == EventKind::shift_rest) return Moment{s->rest_s, s->onset_sigma_s};
            return Moment{*kind == EventKind::shift_start ? s->start_s : s->end_s, s->sigma_s};
        }
        const auto side = side_for(e.side, std::nullopt, rep.reference_side());
        const auto part = e.part.empty() ? std::nullopt : part_from_name(e.part);
        std::optional<Moment> best;
        double least = e.within_s;
        for (const auto& w : windows(phases_of(e), rep)) {
            if (phase && *phase != w.phase) continue;
            const double from = e.at_end ? w.to : w.from;
            const auto& stream = of_kind_[static_cast<std::size_t>(*kind)];
            for (auto it = std::lower_bound(stream.begin(), stream.end(), from - e.within_s,
                                            [](const Event*event, double t) { return event->time_s < t; });
                 it != stream.end() && (*it)->time_s < from + e.within_s; ++it) {
                const Event& v = **it;
                if ((side && v.side != side) || (part && v.part != *part)) continue;
                if (std::abs(v.time_s - from) < least) least = std::abs(v.time_s - from), best = Moment{v.time_s, v.sigma_s};
            }
        }
        return best;
    }

    Absent no_shift() const { return ms_.find("weight.along_raw")->absent_throughout().value_or(Absent::no_event); }

    /// Whether all events of a check belong to one role, so that each phase of it has its own.
    static bool of_one_phase(const Check& how) {
        const auto one = [&](const EventPick& e) { return e.roles == how.events.front().roles; };
        return how.events.size() > 1 && std::all_of(how.events.begin(), how.events.end(), one) &&
               (how.form == CheckForm::spread || how.events.front().roles.size() == 1);
    }

    void order(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const {
        if (how.events.size() < 2) return;
        auto a = moment(how.events[0], rep, phase), b = moment(how.events[1], rep, phase);
        if (!phase && how.events[0].roles == how.events[1].roles) // both of the same phase
            for (const auto& w : windows(phases_of(how.events[0]), rep)) {
                a = moment(how.events[0], rep, w.phase), b = moment(how.events[1], rep, w.phase);
                if (a && b) break;
            }
        if (!a || !b) {
            const bool weight = how.events[a ? 1 : 0].event.starts_with("shift");
            if (weight) v.absent = no_shift();
            return;
        }
        v.value = b->t - a->t;
        v.own = std::hypot(a->sigma, b->sigma);
        v.time_s = a->t;
        v.absent = Absent::none;
    }

    /// Duration of the phases of the check against the reference's, in that of the whole repetition: 1 keeps pace with the rest.
    void pace(const Check& c, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const {
        if (rep.cut) return;
        const auto& b = ref_.of(rep.reference_side()).borders;
        double own = 0, asked = 0;
        for (const auto& p : rep.phases) {
            if (!c.phases.empty() && std::find(c.phases.begin(), c.phases.end(), p.id) == c.phases.end()) continue;
            if (phase && *phase != p.index) continue;
            if (asked == 0) v.time_s = p.start_s;
            own += p.end_s - p.start_s;
            asked += b[p.index + 1] - b[p.index];
        }
        const double whole = (rep.end_s - rep.start_s) / (b.back() - b.front());
        if (asked <= 0 || whole <= 0) return;
        v.value = own / asked / whole;
        v.own = 0.2 * 1.414 / (asked * whole); // borders are told to about a fifth of a second
        v.absent = Absent::none;
    }

    /// How long a phase lasts; of a repetition that is cut its end may be beyond the clip's.
    static void length(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) {
        if (rep.cut) return;
        for (const auto& p : rep.phases) {
            if (phase && p.index != *phase) continue;
            v.value = p.end_s - p.start_s;
            v.own = std::hypot(p.start_sigma_s, p.end_sigma_s);
            v.time_s = p.start_s;
            v.absent = Absent::none;
            return;
        }
    }

    void count(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const {
        // A halt of the whole body is one of whatever it does at that moment.
        const Stop* longest = nullptr;
        for (const auto& stop : rep.stops)
            if (!stop.asked && (!phase || stop.phase == *phase) && (!longest || stop.length() > longest->length())) longest = &stop;
        const Shift* s = how.events.empty() ? nullptr : shift(how.events.front(), rep, phase);
        if (how.counts == "halts" || (how.counts == "seconds" && longest && (!s || longest->length() > s->stop_s))) {
            v.value = longest ? longest->length() : 0;
            v.own = 0.1; // both ends are told to a frame or two of the slowed signals
            if (longest) v.time_s = longest->from_s;
            v.absent = Absent::none;
            return;
        }
        if (!s) {
            v.absent = no_shift();
            return;
        }
        // A halt beyond the phase is a rest that another phase asks for, or none.
        const auto all = windows(phases_of(how.events.front()), rep);
        const bool here = std::any_of(all.begin(), all.end(), [&](const Window& w) {
            return (!phase || *phase == w.phase) && s->stop_at_s - 0.5 * s->stop_s > w.from - border_s &&
                   s->stop_at_s + 0.5 * s->stop_s < w.to + border_s;
        });
        v.value = here ? s->stop_s : 0;
        v.own = s->stop_sigma_s;
        v.time_s = here ? s->stop_at_s : s->start_s;
        v.absent = Absent::none;
    }

    /// How long a measure stays near the top of what it reaches in a repetition.
    void pause(const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const {
        constexpr double near_top = 0.8, least_cm = 1.0;
        const auto* all = samples(ms_, how.measure, how.side, side, rep.reference_side());
        if (!all) return;
        std::vector<At> in;
        std::map<Absent, int> missing;
        for (std::size_t f = frame(rep.start_s); f < all->size() && ms_.time_s[f] < rep.end_s; ++f) {
            const Sample& s = (*all)[f];
            if (s.present())
                in.push_back({s.value, s.own, s.clip, s.person, ms_.time_s[f]});
            else
                ++missing[s.absent];
        }
        v.absent = most(missing, Absent::no_event);
        if (in.size() < 5) return;
        const auto top = std::max_element(in.begin(), in.end(), [](const At& a, const At& b) { return a.v < b.v; });
        v.absent = Absent::no_occasion;
        if (top->v < std::max(least_cm, 3 * top->own)) return;
        auto from = top, to = top;
        while (from != in.begin() && std::prev(from)->v > near_top * top->v) --from;
        while (std::next(to) != in.end() && std::next(to)->v > near_top * top->v) ++to;
        v.value = to->t - from->t;
        v.own = std::hypot(border_s, ms_rate());
        v.time_s = from->t;
        v.absent = Absent::none;
    }

    /// Time from where the movement begins a breath to where the student does; absent in phases that begin none.
    void breathed(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
        constexpr double near_s = 2.5, tap_s = 0.12;
        const auto& in = of_kind_[static_cast<std::size_t>(EventKind::breath_in)];
        const auto& out = of_kind_[static_cast<std::size_t>(EventKind::breath_out)];
        v.absent = in.empty() && out.empty() ? Absent::not_marked : Absent::no_occasion;
        if (!phase || v.absent == Absent::not_marked) return;
        const auto n = mv_.phases.size();
        const Breath here = mv_.phases[*phase].breath, before = mv_.phases[(*phase + n - 1) % n].breath;
        if (here == Breath::free || here == before) return;
        for (const auto& p : rep.phases) {
            if (p.index != *phase) continue;
            const Event* best = nullptr;
            for (const auto* e : here == Breath::in ? in : out)
                if (!best || std::abs(e->time_s - p.start_s) < std::abs(best->time_s - p.start_s)) best = e;
            if (!best || std::abs(best->time_s - p.start_s) > near_s) return;
            v.value = best->time_s - p.start_s;
            v.own = std::hypot(tap_s, border_sigma_s);
            v.time_s = best->time_s;
            v.absent = Absent::none;
        }
    }

    void together(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const {
        std::optional<Moment> first, last;
        std::size_t found = 0; // a part that does not move is not waited for
        double square = 0;
        for (const auto& e : how.events) {
            const auto m = moment(e, rep, phase);
            if (!m) continue;
            ++found;
            square += m->sigma * m->sigma;
            if (!first || m->t < first->t) first = m;
            if (!last || m->t > last->t) last = m;
        }
        if (found < 2) return;
        // Of moments that truly come together the first and the last lie so many sigma apart (Tippett 1925): that part is noise.
        const double by_noise = (found == 2 ? 1.13 : 1.69) * std::sqrt(square / static_cast<double>(found)), apart = last->t - first->t;
        v.value = std::sqrt(std::max(0.0, apart * apart - by_noise * by_noise));
        v.own = std::hypot(first->sigma, last->sigma);
        v.time_s = first->t;
        v.absent = Absent::none;
    }

    void at_event(const Check& c, const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const {
        const auto at = moment(how.events.front(), rep);
        if (!at) return;
        const auto* all = samples(ms_, how.measure, how.side, side, rep.reference_side());
        if (!all) return;
        const double t = at->t - how.events.front().before_s;
        const auto f = std::min(frame(t), all->size() - 1);
        const Sample& s = (*all)[f];
        if (!s.present()) {
            v.absent = s.absent;
            return;
        }
        // Judged on the lower bound: pressure may sit anywhere from heel to ball.
        v.value = s.value - (motion_.has_x ? 0 : how.slack_side);
        if (how.slack_side > 0) v.value = std::max(0.0, v.value);
        auto value_at = [&](double when) {
            const auto k = frame(when);
            return k < all->size() && (*all)[k].present() ? (*all)[k].value : s.value;
        };
        const double speed = std::abs(value_at(t + 0.15) - value_at(t - 0.15)) / 0.3; // it moves on while the moment is uncertain
        v.own = std::hypot(s.own, speed * at->sigma);
        v.clip = s.clip;
        v.person = s.person;
        v.time_s = at->t;
        v.absent = Absent::none;
        (void)c;
    }

    /// Variance of the time that these phases (all, without what rests) take together, by the errors of where they begin and end.
    double ends_variance(const Repetition& r, const std::vector<std::string>& phases) const {
        const auto counts = [&](const PhaseSpan& p) {
            return phases.empty() ? !ref_.phases[p.index].rests : std::find(phases.begin(), phases.end(), p.id) != phases.end();
        };
        double sum = 0;
        for (std::size_t k = 0; k < r.phases.size(); ++k) {
            if (!counts(r.phases[k])) continue;
            if (k == 0 || !counts(r.phases[k - 1])) sum += r.phases[k].start_sigma_s * r.phases[k].start_sigma_s;
            if (k + 1 == r.phases.size() || !counts(r.phases[k + 1])) sum += r.phases[k].end_sigma_s * r.phases[k].end_sigma_s;
        }
        return sum;
    }

    /// Variation of the durations of repetitions, or of the phases named, in percent.
    RepetitionValue spread(const Check& c) const {
        RepetitionValue v;
        v.absent = Absent::no_event;
        const auto& borders = ref_.of(Side::left).borders;
        double held = 0;
        for (std::size_t p = 0; p < ref_.phases.size(); ++p)
            if (ref_.phases[p].rests) held += borders[p + 1] - borders[p];
        if (c.phases.empty() && 2 * held > borders.back() - borders.front()) {
            v.absent = Absent::no_occasion; // mostly a hold: there is no pace to speak of
            return v;
        }
        std::vector<double> d;
        std::vector<std::size_t> which;
        double error = 0; // variance of a duration by the errors of its ends
        for (std::size_t k = 0; k < al_.repetitions.size(); ++k) {
            if (al_.repetitions[k].cut) continue;
            double sum = 0;
            for (const auto& w : windows(c.phases, al_.repetitions[k])) {
                // A hold lasts as long as it lasts, and a halt is told by itself: neither is the pace of a repetition.
                if (c.phases.empty() && ref_.phases[w.phase].rests) continue;
                sum += w.to - w.from;
                for (const auto& stop : c.phases.empty() ? al_.repetitions[k].stops : std::vector<Stop>{})
                    sum -= std::max(0.0, std::min(w.to, stop.to_s) - std::max(w.from, stop.from_s));
            }
            d.push_back(sum);
            which.push_back(k);
            error += ends_variance(al_.repetitions[k], c.phases);
        }
        if (d.size() < 3) return v;
        error /= static_cast<double>(d.size());
        double mean = 0, var = 0;
        for (const double x : d) mean += x / static_cast<double>(d.size());
        for (const double x : d) var += (x - mean) * (x - mean) / static_cast<double>(d.size() - 1);
        v.value = 100 * std::sqrt(std::max(0.0, var - error)) / mean; // what the ends' own errors spread is not the student's
        v.own = 100 * std::sqrt(error) / mean;
        const auto worst =
            std::max_element(d.begin(), d.end(), [&](double a, double b) { return std::abs(a - mean) < std::abs(b - mean); }) - d.begin();
        const std::size_t k = which[static_cast<std::size_t>(worst)];
        v.repetition = static_cast<int>(k);
        v.time_s = al_.repetitions[k].start_s;
        v.absent = Absent::none;
        return v;
    }

    /// Where the first repetition of that side begins, or the first of all.
    double begins(Side side) const {
        for (const auto& rep : al_.repetitions)
            if (rep.side == side) return rep.start_s;
        return al_.repetitions.empty() ? 0 : al_.repetitions.front().start_s;
    }

    /// Left repetitions against right ones: how many there are, or the range of a measure of the leading side, in percent of the larger.
    RepetitionValue same(const Check& how) const {
        if (how.counts == "ramp") return ramp();
        RepetitionValue v;
        v.absent = Absent::no_event;
        std::array<std::vector<double>, 2> range;
        std::array<double, 2> error{0, 0};
        for (const auto& rep : al_.repetitions) {
            if (rep.cut) continue;
            if (!rep.side) {
                v.absent = ref_.symmetric ? Absent::no_occasion : Absent::alike;
                return v;
            }
            const auto side = static_cast<std::size_t>(*rep.side);
            if (how.counts == "repetitions") {
                range[side].push_back(1);
                continue;
            }
            const auto* all = samples(ms_, how.measure, how.side, std::nullopt, *rep.side);
            if (!all) return v;
            std::vector<double> x;
            for (std::size_t f = frame(rep.start_s); f < all->size() && ms_.time_s[f] < rep.end_s; ++f)
                if ((*all)[f].present())
                    x.push_back((*all)[f].value), error[side] = std::max(error[side], static_cast<double>((*all)[f].own));
            if (x.size() < 10) continue;
            range[side].push_back(signal::quantile(x, 0.97) - signal::quantile(x, 0.03));
        }
        if (how.counts == "repetitions") {
            v.value = std::abs(static_cast<double>(range[0].size()) - static_cast<double>(range[1].size()));
            v.time_s = begins(range[0].size() < range[1].size() ? Side::left : Side::right);
            v.absent = Absent::none;
            return v;
        }
        if (range[0].size() < 2 || range[1].size() < 2) return v;
        const double l = signal::median(range[0]), r = signal::median(range[1]), larger = std::max(l, r);
        if (larger < 1e-6) return v;
        v.value = 100 * std::abs(l - r) / larger;
        v.time_s = begins(l < r ? Side::left : Side::right);
        double sum = 0;
        for (std::size_t s = 0; s < 2; ++s) {
            double var = 0;
            const double m = s == 0 ? l : r;
            for (const double x : range[s]) var += (x - m) * (x - m);
            var /= static_cast<double>(range[s].size() - 1);
            sum += (var + 2 * error[s] * error[s]) / static_cast<double>(range[s].size());
        }
        v.own = 100 * std::sqrt(sum) / larger;
        v.absent = Absent::none;
        return v;
    }

    /// Swings grow in, stay and die away: how far the deepest of them falls below a larger one on both sides, of the largest. How large a
    /// swing is is told by the movement's own driver.
    RepetitionValue ramp() const {
        RepetitionValue v;
        v.absent = Absent::no_event;
        std::vector<double> size, at;
        double error = 0, n = 0;
        for (const auto& rep : al_.repetitions) {
            if (rep.cut) continue;
            const auto* all = samples(ms_, mv_.feature, "", std::nullopt, rep.reference_side());
            if (!all) return v;
            std::vector<double> x;
            for (std::size_t f = frame(rep.start_s); f < all->size() && ms_.time_s[f] < rep.end_s; ++f) {
                if ((*all)[f].present())
                    x.push_back((*all)[f].value), error += (*all)[f].own, n += 1;
                else
                    v.absent = (*all)[f].absent;
            }
            if (x.size() < 10) continue;
            size.push_back(signal::quantile(x, 0.97) - signal::quantile(x, 0.03));
            at.push_back(rep.start_s);
        }
        if (size.size() < 4) return v;
        const double largest = *std::max_element(size.begin(), size.end());
        if (largest < 1e-6) return v;
        std::vector<double> after = size; // the largest from here on
        for (std::size_t k = size.size() - 1; k-- > 0;) after[k] = std::max(after[k], after[k + 1]);
        double before = 0, deepest = 0;
        v.time_s = at.front();
        for (std::size_t k = 0; k < size.size(); ++k) {
            const double dip = std::min(before, after[k]) - size[k];
            if (dip > deepest) deepest = dip, v.time_s = at[k];
            before = std::max(before, size[k]);
        }
        v.value = 100 * deepest / largest;
        v.own = 100 * std::sqrt(2.0) * 1.414 * error / std::max(1.0, n) / largest; // of two ends, of two swings
        v.absent = Absent::none;
        return v;
    }

    const Motion& motion_;
    const Measures& ms_;
    const Alignment& al_;
    const Movement& mv_;
    const ReferenceModel& ref_;
    const std::vector<SupportState>& states_;
    const RuleBook& rules_;
    std::array<std::vector<const Event*>, static_cast<std::size_t>(EventKind::roll_end) + 1> of_kind_;
    std::vector<std::vector<double>> moment_; // of the reference, a frame each, by repetition
    std::vector<std::size_t> first_;
};

} // namespace

double RepetitionValue::sigma() const {
    return std::sqrt(own * own + clip * clip + person * person);
}

Summaries summarise(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement,
                    const ReferenceModel& reference, const std::vector<SupportState>& states, const RuleBook& rules) {
    Summaries out = Summariser(motion, measures, alignment, movement, reference, states, rules).run();
    for (auto& v : out.values)
        if (const auto part = own_part_of(movement.checks[v.check].measure, v.side))
            v.own_neutral = motion.neutral.own.of(*part) && !motion.neutral.own.of(*part)->of_clip;
    return out;
}

double CombinedValue::sigma() const {
    return std::sqrt(own * own + clip * clip + person * person);
}

CombinedValue combine(const std::vector<const RepetitionValue*>& of) {
    CombinedValue c;
    const auto n = static_cast<double>(of.size());
    for (const auto* r : of) {
        c.value += r->value / n;
        c.own += r->own * r->own / (n * n);
        c.clip += r->clip / n;
        c.person += r->person / n;
    }
    c.own = std::sqrt(c.own);
    return c;
}

std::vector<const RepetitionValue*> told_of(const std::vector<RepetitionValue>& all) {
    std::vector<const RepetitionValue*> out;
    for (const auto& r : all)
        if (r.absent == Absent::none) out.push_back(&r);
    return out;
}

Summaries merged(const Summaries& first, const Summaries& second) {
    auto sigma_of = [](const CheckValues& v) -> std::optional<double> {
        const auto told = told_of(v.repetitions);
        if (told.empty()) return std::nullopt;
        return combine(told).sigma();
    };
    auto no_occasion = [](const CheckValues& v) {
        return !v.repetitions.empty() &&
               std::all_of(v.repetitions.begin(), v.repetitions.end(), [](const auto& r) { return r.absent == Absent::no_occasion; });
    };
    Summaries out = first;
    for (auto v : second.values) {
        v.of_clip = 1;
        const auto own = std::find_if(out.values.begin(), out.values.end(),
                                      [&](const CheckValues& w) { return w.check == v.check && w.side == v.side; });
        if (own == out.values.end()) {
            out.values.push_back(std::move(v));
            continue;
        }
        const auto here = sigma_of(*own), there = sigma_of(v);
        const bool take = there ? !here || *there < *here : !here && no_occasion(v);
        std::vector<RepetitionValue> other;
        if (here && there) other = take ? own->repetitions : v.repetitions;
        if (take) *own = std::move(v);
        own->other = std::move(other);
    }
    return out;
}

} // namespace bevel
