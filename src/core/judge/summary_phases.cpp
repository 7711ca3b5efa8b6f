// Values of a measure over the phases of a repetition, or while a state holds.
#include "core/judge/summariser.h"
#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <span>

namespace bevel::summing {

std::optional<Absent> Summariser::cannot(const Check& c, const Check& how, const Repetition& rep) const {
    for (const auto& s : states_)
        if (s.from_s < rep.end_s && s.to_s > rep.start_s &&
            std::find(c.off_with.begin(), c.off_with.end(), s.seat ? "seat" : "support") != c.off_with.end())
            return s.seat ? Absent::seated : Absent::supported;
    if (c.three_d && motion_.from_pictures()) return Absent::view;
    if (!rep.side && asks_for_lead(c, how)) return ref_.symmetric ? Absent::no_occasion : Absent::alike;
    return std::nullopt;
}

PhaseValues& Summariser::phase_of(CheckValues& v, std::size_t phase) {
    const auto it = std::find_if(v.phases.begin(), v.phases.end(), [&](const PhaseValues& p) { return p.phase == phase; });
    if (it != v.phases.end()) return *it;
    v.phases.push_back({phase, {}});
    return v.phases.back();
}

Summariser::Gathered Summariser::gather(const Check& c, const Check& how, std::size_t r, std::optional<Side> side,
                                        std::optional<Window> only) const {
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

Absent Summariser::most(const std::map<Absent, int>& missing, Absent fallback) {
    int n = 0;
    for (const auto& [a, count] : missing)
        if (count > n) n = count, fallback = a;
    return fallback;
}

void Summariser::keep_course(const std::vector<At>& in, RepetitionValue& v) {
    const std::size_t n = std::min<std::size_t>(50, in.size());
    for (std::size_t k = 0; k < n; ++k) v.course.push_back(static_cast<float>(in[k * in.size() / n].v));
}

void Summariser::errors(const std::vector<At>& in, RepetitionValue& v) {
    auto middle = [&](auto part) {
        std::vector<double> x;
        for (const auto& a : in) x.push_back(part(a));
        return signal::median(x);
    };
    v.own = middle([](const At& a) { return a.own; });
    v.clip = middle([](const At& a) { return a.clip; });
    v.person = middle([](const At& a) { return a.person; });
}

void Summariser::over_phases(const Check& c, const Check& how, std::size_t r, RepetitionValue& v, CheckValues& out) const {
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

std::optional<double> Summariser::asked(const Check& c, const Check& how, Side lead, std::optional<Side> side, std::size_t phase) const {
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

double Summariser::summed(Summary how, const std::vector<double>& x, double noise) {
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

void Summariser::over(const Check& c, const Check& how, std::size_t r, std::optional<Side> side, std::optional<Window> only,
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

void Summariser::held_long(const std::vector<At>& in, double first_s, RepetitionValue& v, bool any) const {
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

void Summariser::drift(const Check& c, std::size_t r, std::optional<Side> side, RepetitionValue& v) const {
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

void Summariser::at_event(const Check& c, const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const {
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

} // namespace bevel::summing
