#include "core/seeing/rounds.h"
#include "core/bounded_json.h"
#include "core/practice/fields.h"
#include <algorithm>
#include <map>

namespace bevel {
namespace {

using namespace fields;
constexpr std::size_t most_things = 200, most_id = 100;
constexpr std::array<SeenMark, 5> marks{SeenMark::found, SeenMark::again, SeenMark::invented, SeenMark::open, SeenMark::untold};
// A level is left for the next after so many clips in which nothing was missed or invented, and for the one before where less than half was
// found in so many: the habits of whoever teaches, not measured.
constexpr std::size_t clean_rounds = 4, hard_rounds = 3, looked_back = 20;
constexpr int stands_out = 2; // missed or invented so often

json answer(const std::optional<bool>& b) {
    return b ? json(*b) : json();
}
std::optional<bool> answer(const json& j, const char* key) {
    if (!j.contains(key)) throw Bad{key};
    if (j[key].is_null()) return std::nullopt;
    return flag(j, key);
}

SeenRound::Thing thing_of(const json& j) {
    SeenRound::Thing t;
    t.rule = text(j, "rule", most_id), t.check = text(j, "check", most_id);
    const auto direction = text(j, "direction", most_id);
    if (direction != "low" && direction != "high") throw Bad{"direction"};
    t.direction = direction == "low" ? Direction::low : Direction::high;
    t.there = flag(j, "there");
    if (const auto mark = text(j, "mark", most_id); !mark.empty()) {
        for (const auto m : marks)
            if (seen_mark_name(m) == mark) t.mark = m;
        if (!t.mark) throw Bad{"mark"};
    }
    if (t.there ? t.mark && t.mark != SeenMark::found : !t.mark || t.mark == SeenMark::found) throw Bad{"mark"};
    t.side_right = answer(j, "side_right"), t.moment_right = answer(j, "moment_right");
    return t;
}

bool is_clean(const SeenRound& r) {
    return std::all_of(r.things.begin(), r.things.end(),
                       [](const auto& t) { return t.there ? t.mark.has_value() : t.mark != SeenMark::invented; });
}

} // namespace

SeenRound round_of(const SeenCount& count, const std::vector<Said>& said, const WhatIsThere& truth, const Movement& movement) {
    SeenRound r;
    r.movement = movement.id;
    r.pairs = count.pairs, r.in_order = count.in_order, r.first_right = count.first_right;
    for (std::size_t i = 0; i < truth.there.size(); ++i) {
        const Visible& v = truth.there[i];
        r.things.push_back({v.rule, v.check, v.direction, true, count.found_by[i] ? std::optional(SeenMark::found) : std::nullopt,
                            count.side_right[i], count.moment_right[i]});
    }
    for (std::size_t k = 0; k < said.size(); ++k) {
        if (count.said[k] == SeenMark::found) continue;
        const auto check =
            std::find_if(movement.checks.begin(), movement.checks.end(), [&](const Check& c) { return c.id == said[k].check; });
        if (check == movement.checks.end() || said[k].direction == Direction::none) continue;
        r.things.push_back({check->rule, check->id, said[k].direction, false, count.said[k], {}, {}});
    }
    return r;
}

std::string round_text(const SeenRound& r) {
    json things = json::array();
    for (const auto& t : r.things)
        things.push_back({{"rule", t.rule},
                          {"check", t.check},
                          {"direction", direction_name(t.direction)},
                          {"there", t.there},
                          {"mark", t.mark ? seen_mark_name(*t.mark) : std::string_view()},
                          {"side_right", answer(t.side_right)},
                          {"moment_right", answer(t.moment_right)}});
    return json{{"bevel_seen", 1},
                {"movement", r.movement},
                {"view", view_name(r.view)},
                {"level", r.level ? seeing_level_name(*r.level) : std::string_view()},
                {"seed", std::to_string(r.seed)},
                {"things", things},
                {"pairs", r.pairs},
                {"in_order", r.in_order},
                {"first_right", answer(r.first_right)}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<SeenRound> parse_round(const std::string& bytes) {
    const auto read = bounded_json(bytes, "seen", {.values = 5000, .depth = 5});
    if (!read) return tl::unexpected(read.error());
    const json& j = *read;
    if (!j.is_object()) return fail(Code::bad_value, "seen");
    try {
        (void)whole(j, "bevel_seen", 1, 1);
        SeenRound r;
        r.movement = text(j, "movement");
        const auto view = view_from_name(text(j, "view", most_id));
        if (!view) throw Bad{"view"};
        r.view = *view;
        if (const auto level = text(j, "level", most_id); !level.empty()) {
            r.level = seeing_level_from_name(level);
            if (!r.level) throw Bad{"level"};
        }
        const auto seed = text(j, "seed", 20);
        if (seed.empty() || !std::all_of(seed.begin(), seed.end(), [](char c) { return c >= '0' && c <= '9'; })) throw Bad{"seed"};
        r.seed = std::strtoull(seed.c_str(), nullptr, 10);
        for (const auto& t : list(j, "things", most_things)) {
            if (!t.is_object()) throw Bad{"things"};
            r.things.push_back(thing_of(t));
        }
        r.pairs = whole(j, "pairs", 0, 1'000'000), r.in_order = whole(j, "in_order", 0, r.pairs);
        r.first_right = answer(j, "first_right");
        return r;
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    }
}

std::vector<SeenTally> tallies(std::span<const SeenRound> rounds) {
    std::map<std::tuple<int, std::string, int>, SeenTally> all;
    for (const auto& r : rounds)
        for (const auto& t : r.things) {
            if (!t.there && t.mark != SeenMark::invented) continue;
            SeenTally& y = all[{static_cast<int>(family_of(t.rule)), t.rule, static_cast<int>(r.view)}];
            y.rule = t.rule, y.view = r.view;
            if (!t.there) {
                ++y.invented;
                continue;
            }
            ++y.there;
            if (!t.mark) continue;
            ++y.found;
            if (t.side_right) ++y.sides, y.sides_right += *t.side_right ? 1 : 0;
            if (t.moment_right) ++y.moments, y.moments_right += *t.moment_right ? 1 : 0;
        }
    std::vector<SeenTally> out;
    for (auto& [key, y] : all) out.push_back(std::move(y));
    return out;
}

SeenSum sum_of(std::span<const SeenRound> rounds) {
    SeenSum s;
    for (const auto& r : rounds) {
        ++s.rounds;
        bool any = false, invented = false;
        for (const auto& t : r.things) {
            any = any || t.there;
            s.there += t.there ? 1 : 0, s.found += t.there && t.mark ? 1 : 0;
            if (t.mark == SeenMark::invented) ++s.invented, invented = true;
        }
        s.pairs += r.pairs, s.in_order += r.in_order;
        if (r.first_right) ++s.firsts, s.firsts_right += *r.first_right ? 1 : 0;
        if (!any) ++s.nothing, s.nothing_right += invented ? 0 : 1;
    }
    return s;
}

SeeNext next_of(std::span<const SeenRound> rounds) {
    SeeNext next;
    const auto last = std::find_if(rounds.begin(), rounds.end(), [](const SeenRound& r) { return r.level.has_value(); });
    if (last != rounds.end()) {
        next.level = *last->level, next.why = SeeNext::Why::goes_on;
        std::vector<const SeenRound*> there; // of that level in a row, newest first
        for (const auto& r : rounds) {
            if (!r.level) continue;
            if (r.level != last->level) break;
            there.push_back(&r);
        }
        const int at = static_cast<int>(next.level);
        const auto of_last = [&](std::size_t n) { return std::span(there).first(std::min(n, there.size())); };
        SeenSum hard;
        for (const auto* r : of_last(hard_rounds)) {
            const auto one = sum_of({r, 1});
            hard.there += one.there, hard.found += one.found;
        }
        const auto clean = of_last(clean_rounds);
        if (clean.size() == clean_rounds && std::all_of(clean.begin(), clean.end(), [](const auto* r) { return is_clean(*r); })) {
            if (at + 1 < seeing_levels) next.level = static_cast<SeeingLevel>(at + 1), next.why = SeeNext::Why::finer;
        } else if (there.size() >= hard_rounds && hard.there > 0 && 2 * hard.found < hard.there && at > 0) {
            next.level = static_cast<SeeingLevel>(at - 1), next.why = SeeNext::Why::plainer;
        }
    }
    for (const auto& y : tallies(rounds.first(std::min(rounds.size(), looked_back)))) {
        const int missed = y.there - y.found;
        if (missed + y.invented < stands_out || missed + y.invented <= next.missed + next.invented) continue;
        next.rule = y.rule, next.view = y.view;
        next.missed = missed, next.invented = y.invented, next.there = y.there;
    }
    return next;
}

} // namespace bevel
