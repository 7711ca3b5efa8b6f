#include "core/judge/summariser.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace summing {

Summariser::Summariser(const Motion& mo, const Measures& ms, const Alignment& al, const Movement& mv, const ReferenceModel& ref,
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

Summaries Summariser::run() {
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

std::size_t Summariser::frame(double t) const {
    return static_cast<std::size_t>(std::lower_bound(ms_.time_s.begin(), ms_.time_s.end(), t) - ms_.time_s.begin());
}

std::vector<Window> Summariser::windows(const std::vector<std::string>& phases, const Repetition& r) const {
    std::vector<Window> w;
    for (const auto& p : r.phases)
        if (phases.empty() || std::find(phases.begin(), phases.end(), p.id) != phases.end()) w.push_back({p.start_s, p.end_s, p.index});
    return w;
}

std::optional<Side> Summariser::side_for(const std::string& side, std::optional<Side> own, Side lead) {
    if (side == "lead") return lead;
    if (side == "rear") return other(lead);
    if (side == "own" || side == "both") return own;
    return std::nullopt;
}

std::optional<Side> Summariser::part_of(const std::string& measure, const std::string& side, std::optional<Side> own, Side lead) {
    const auto* info = measure_info(measure);
    if (!info || !info->sided) return std::nullopt;
    const auto s = side.empty() ? own : side_for(side, own, lead);
    return s ? s : lead;
}

const std::vector<Sample>* Summariser::samples(const Measures& ms, const std::string& measure, const std::string& side,
                                               std::optional<Side> own, Side lead) {
    const auto* series = measure_info(measure) ? ms.find(measure, part_of(measure, side, own, lead)) : nullptr;
    return series ? &series->samples : nullptr;
}

bool Summariser::asks_for_lead(const Check& c, const Check& how) {
    auto leads = [](const std::string& side) { return side == "lead" || side == "rear"; };
    return c.by_lead || leads(c.side) || leads(how.side) ||
           std::any_of(how.events.begin(), how.events.end(), [&](const EventPick& e) { return leads(e.side); }) ||
           std::any_of(c.when.begin(), c.when.end(), [&](const While& w) { return leads(w.side); });
}

void Summariser::one(const Check& c, const Check& how, std::size_t r, CheckValues& out) const {
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

} // namespace summing

double RepetitionValue::sigma() const {
    return std::sqrt(own * own + clip * clip + person * person);
}

Summaries summarise(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement,
                    const ReferenceModel& reference, const std::vector<SupportState>& states, const RuleBook& rules) {
    Summaries out = summing::Summariser(motion, measures, alignment, movement, reference, states, rules).run();
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
