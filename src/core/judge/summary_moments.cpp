// What is told by moments: from one to another, of all that belong together, on the way of a shift.
#include "core/judge/summariser.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel::summing {

void Summariser::at_moments(const Check& c, const Check& how, const Repetition& rep, RepetitionValue& v,
                            std::optional<std::size_t> phase) const {
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

const Shift* Summariser::shift(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase) const {
    const auto towards = side_for(e.side, std::nullopt, rep.reference_side());
    const Shift* best = nullptr;
    double longest = 0;
    for (const auto& w : windows(phases_of(e), rep)) {
        if (phase && *phase != w.phase) continue;
        for (auto it =
                 std::lower_bound(ms_.shifts.begin(), ms_.shifts.end(), w.from - 1.5, [](const Shift&s, double t) { return s.end_s < t; });
             it != ms_.shifts.end() && it->start_s < w.to + 0.6; ++it) {
            const Shift& s = *it;
            if (towards && (*towards == Side::left) != (s.to > s.from)) continue;
            const double common = std::min(w.to + 0.6, s.end_s) - std::max(w.from - 1.5, s.start_s);
            if (common > longest) longest = common, best = &s;
        }
    }
    return best;
}

std::vector<std::string> Summariser::phases_of(const EventPick& e) const {
    std::vector<std::string> out;
    for (const auto& p : mv_.phases)
        if (std::find(e.roles.begin(), e.roles.end(), p.role) != e.roles.end()) out.push_back(p.id);
    if (out.empty()) out.emplace_back(); // no phase of that role
    return out;
}

std::optional<Moment> Summariser::moment(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase) const {
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

bool Summariser::of_one_phase(const Check& how) {
    const auto one = [&](const EventPick& e) { return e.roles == how.events.front().roles; };
    return how.events.size() > 1 && std::all_of(how.events.begin(), how.events.end(), one) &&
           (how.form == CheckForm::spread || how.events.front().roles.size() == 1);
}

void Summariser::order(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
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

void Summariser::pace(const Check& c, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
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

void Summariser::length(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) {
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

void Summariser::count(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
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

void Summariser::pause(const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const {
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

void Summariser::breathed(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
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

void Summariser::together(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const {
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

} // namespace bevel::summing
