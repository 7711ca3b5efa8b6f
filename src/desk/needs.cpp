#include "desk/needs.h"
#include "core/form/pieces.h"
#include "desk/quiet_tests.h"
#include <algorithm>
#include <chrono>
#include <cstdlib>

namespace bevel {
namespace {

template <class T> bool holds(const std::vector<T>& all, const T& x) {
    return std::find(all.begin(), all.end(), x) != all.end();
}

/// Of the whole course, counted from 1; empty where there is no such part.
std::string movement_of_part(const LinkedForm& form, int part) {
    for (const auto& p : form.parts) {
        if (part >= 1 && part <= p.repeats) return p.movement;
        part -= p.repeats;
    }
    return {};
}

void take_limits(Needs& n, const PersonNeeds& one) {
    for (const auto& a : one.agreements)
        if (const auto limit = a.limit(); !limit.empty()) n.limits.insert(limit);
}

} // namespace

Result<PersonNeeds> person_needs(const Library& library, std::int64_t id, const std::string& today, const Forms& forms) {
    PersonNeeds n;
    const auto practises = [&](const std::string& movement) {
        if (!movement.empty() && !holds(n.practised, movement)) n.practised.push_back(movement);
    };
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    for (const auto& p : *people)
        if (p.id == id) n.person = p;
    auto facts = library.people().facts(id);
    auto agreements = library.decisions().agreements(id);
    const auto letters = library.letters().lines(id);
    ClipQuery of;
    of.person = id;
    const auto clips = library.clips().find(of);
    if (!facts) return tl::unexpected(facts.error());
    if (!agreements) return tl::unexpected(agreements.error());
    if (!letters) return tl::unexpected(letters.error());
    if (!clips) return tl::unexpected(clips.error());
    n.facts = std::move(*facts);
    for (auto& a : *agreements)
        if ((a.from_day.empty() || a.from_day <= today) && (a.until_day.empty() || a.until_day >= today))
            n.agreements.push_back(std::move(a));
    for (const auto& c : *clips) {
        practises(c.movement);
        if (const auto form = forms.form(c.movement)) // who does a form does what it is made of
            for (const auto& p : form->parts) practises(p.movement);
    }
    for (const auto& t : n.facts.taught) practises(t.movement);
    const auto tests = library.quiet_tests().of(id);
    if (!tests) return tl::unexpected(tests.error());
    n.steadier = steadier_side(*tests);
    // The newest letter about each movement, as it went out, with its homework.
    std::vector<std::string> seen;
    for (const auto& l : *letters) {
        if (l.sent_on.empty() || std::find(seen.begin(), seen.end(), l.movement) != seen.end()) continue;
        seen.push_back(l.movement);
        const auto drafts = library.letters().of(l.clip);
        if (!drafts || drafts->empty()) continue;
        for (const auto& key : drafts->front().checks) {
            const FindingKey finding = FindingKey::read(key);
            const std::string& check = finding.check;
            AskedFor a;
            a.movement = l.movement;
            if (const auto form = forms.form(l.movement)) { // of a part of a form: its movement
                const int part = std::atoi(finding.part.c_str());
                a.movement = movement_of_part(*form, part);
                if (a.movement.empty()) continue;
                auto& weak = n.weak[l.movement];
                if (!holds(weak, part)) weak.push_back(part);
                // One correction may be of several parts: all that were kept with it.
                if (const auto decisions = library.decisions().of(l.clip))
                    for (const auto& d : *decisions)
                        if (const int other = std::atoi(d.key.part.c_str()); d.choice == Choice::kept && d.key.check == check &&
                                                                             !movement_of_part(*form, other).empty() && !holds(weak, other))
                            weak.push_back(other);
            }
            for (const auto& rule : rule_book().rules)
                for (const auto& rc : rule.checks)
                    if (rc.check.id == check) a.rule = rule.id;
            if (const auto w = drafts->front().with.find(key); w != drafts->front().with.end()) {
                a.drill = w->second.drill;
                a.a_side = w->second.homework.a_side;
                a.hold_s = w->second.homework.hold_s;
            }
            a.check = check;
            if (n.asked.size() < 3) n.asked.push_back(a);
        }
    }
    return n;
}

void know_person(Needs& n, const PersonNeeds& one) {
    n.asked = one.asked;
    n.practised = one.practised;
    n.balance_step = one.facts.balance_step;
    if (n.steadier.empty()) n.steadier = one.steadier;
    for (const auto& t : one.facts.taught)
        if (!t.version.empty()) n.versions[t.movement] = t.version;
    take_limits(n, one);
}

void know_group(Needs& n, std::span<const PersonNeeds> group) {
    for (const auto& one : group) {
        take_limits(n, one);
        if (one.facts.balance_step > 0)
            n.balance_step = n.balance_step == 0 ? one.facts.balance_step : std::min(n.balance_step, one.facts.balance_step);
        for (const auto& a : one.asked)
            if (n.asked.size() < 3 && std::none_of(n.asked.begin(), n.asked.end(),
                                                   [&](const AskedFor& x) { return x.movement == a.movement && x.rule == a.rule; }))
                n.asked.push_back(a);
        for (const auto& id : one.practised)
            if (!holds(n.practised, id) &&
                std::all_of(group.begin(), group.end(), [&](const PersonNeeds& x) { return holds(x.practised, id); }))
                n.practised.push_back(id);
    }
}

FormToGrow grow_form(const LinkedForm& form, const std::map<std::string, std::vector<int>>& weak, int known) {
    FormToGrow out;
    out.form = form.id;
    out.steps = steps_of(form);
    out.known = known;
    if (const auto it = weak.find(clip_id(form)); it != weak.end()) out.weak = it->second;
    return out;
}

std::vector<Movement> with_pieces(const std::vector<Movement>& movements, const LinkedForm& form, bool mirror) {
    std::vector<Movement> out = movements;
    if (auto pieces = pieces_of(form, movements, mirror))
        out.insert(out.end(), std::make_move_iterator(pieces->begin()), std::make_move_iterator(pieces->end()));
    return out;
}

std::uint64_t seed_of_day(const std::string& day, std::int64_t person) {
    using namespace std::chrono;
    std::int64_t days = 0;
    if (day.size() == 10) {
        const auto part = [&](std::size_t at, std::size_t n) { return std::atoi(day.substr(at, n).c_str()); };
        const year_month_day d{year(part(0, 4)), month(static_cast<unsigned>(part(5, 2))),
                               std::chrono::day(static_cast<unsigned>(part(8, 2)))};
        if (d.ok()) days = sys_days(d).time_since_epoch().count();
    }
    constexpr std::int64_t julian_of_epoch = 2440588;
    return static_cast<std::uint64_t>(days + julian_of_epoch) * 1000003 + static_cast<std::uint64_t>(person);
}

} // namespace bevel
