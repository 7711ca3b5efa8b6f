#include "core/practice/gate.h"
#include <algorithm>

namespace bevel {
namespace {

/// So much of something is what limits, care and a bad day are about.
constexpr int much = 2;

/// A version's words may say where the hand rests.
bool rests_on_something(const std::string& version) {
    return version.find("chair") != std::string::npos || version.find("wall") != std::string::npos || version == "Fingertips";
}

Pass as_done(const Movement& m, const std::string& version, const Needs& needs) {
    Pass p;
    p.version = version;
    if (asks_of(m, version).balance >= much) {
        p.support = true;
        p.ladder = balance_step_of(needs.balance_step, needs.helper);
        p.first_side = needs.steadier;
    }
    return p;
}

} // namespace

bool asks_for_balance(const Movement& m, const std::string& version) {
    return asks_of(m, version).balance >= much;
}

std::optional<LeftOut::Code> barred(const Movement& m, const std::string& version, const Needs& needs) {
    using C = LeftOut::Code;
    const Movement& made = m.as(version);
    const Traits t = traits_of(made);
    const Asks asks = asks_of(m, version);
    const auto limit = [&](const char* name) { return needs.limits.contains(name); };
    const auto care = [&](const char* part) { return needs.care.contains(part) || limit((std::string("care_") + part).c_str()); };
    if (t.stick && !needs.stick) return C::no_stick;
    if (needs.careful()) {
        if (asks.overhead >= much) return C::overhead_today;
        if (asks.balance >= much) return C::balance_today;
        if (t.stage() > 1) return C::care;
    }
    if (needs.dizzy && (asks.head_low >= much || asks.turning >= much || asks.neck >= much)) return C::care;
    if (limit("seated") && !t.seated) return C::limit;
    if (limit("no_overhead") && asks.overhead >= much) return C::limit;
    if (limit("no_balance") && asks.balance >= much) return C::limit;
    if (limit("no_bends") && (asks.head_low >= much || t.bends)) return C::limit;
    if (limit("no_twists") && (asks.turning >= much || t.twists)) return C::limit;
    if (limit("high_stance") && t.stage() > 1) return C::limit;
    if (care("neck") && asks.neck >= much) return C::care;
    if (care("low_back") && (asks.low_back >= much || asks.head_low >= much)) return C::care;
    if (care("shoulders") && (asks.shoulders > much || asks.overhead >= much)) return C::care;
    if (care("knees") && (asks.knees > much || t.stage() > 1)) return C::care;
    if (care("wrists") && asks.wrists >= much) return C::care;
    if (care("hips") && asks.hips >= much) return C::care;
    if (asks.balance >= much && !needs.chair && !needs.wall) return C::no_support;
    return std::nullopt;
}

Pass pass(const Movement& m, const Needs& needs, const std::string& wish) {
    std::vector<std::string> ways;
    const auto offer = [&](const std::string& v) {
        if (std::find(ways.begin(), ways.end(), v) == ways.end()) ways.push_back(v);
    };
    if (!wish.empty()) offer(wish);
    if (const auto taught = needs.versions.find(m.id); taught != needs.versions.end()) offer(taught->second);
    offer("");
    for (const bool seated : {false, true})
        for (const auto& v : m.versions)
            if (traits_of(m.as(v.name)).seated == seated) offer(v.name);
    std::optional<Pass> lowest;
    for (const auto& v : ways) {
        if (barred(m, v, needs)) continue;
        Pass p = as_done(m, v, needs);
        // On the lower steps of the ladder something to hold comes with the version, where there is one.
        if (p.support && needs.chair && p.ladder <= static_cast<int>(BalanceStep::fingertips) && !rests_on_something(v))
            for (const auto& other : m.versions)
                if (rests_on_something(other.name) && !barred(m, other.name, needs)) {
                    p.version = other.name;
                    break;
                }
        // A high stance: the first way that is high; a middle one is done higher where there is none.
        if (needs.limits.contains("high_stance") && traits_of(m.as(v)).stage() > 0) {
            if (!lowest) lowest = p;
            continue;
        }
        return p;
    }
    if (lowest) return *lowest;
    Pass none;
    none.barred = barred(m, "", needs);
    return none;
}

std::optional<LeftOut::Code> barred(const PlanItem& item, const Needs& needs, const std::vector<Movement>& movements) {
    if (item.part == PlanPart::settling || !item.let_in.empty()) return std::nullopt;
    const bool frame = item.part == PlanPart::opening || item.part == PlanPart::closing;
    const auto one = [&](const std::string& id, const std::string& version) -> std::optional<LeftOut::Code> {
        const Movement* m = movement_named(movements, id);
        if (!m) return frame ? std::nullopt : std::optional(LeftOut::Code::unknown);
        return barred(*m, version, needs);
    };
    if (item.sequence.empty()) {
        const auto why = one(item.movement, item.version);
        // A drill is a part of the whole: what it is may ask for less, but nobody has said how much.
        if (why) return why;
        const Movement* m = movement_named(movements, item.movement);
        if (m && asks_of(*m, item.version).balance >= much && !item.support && !frame) return LeftOut::Code::no_support;
        return std::nullopt;
    }
    for (const auto& id : item.sequence)
        if (const auto why = one(id, "")) return why;
    for (const auto& id : item.sequence)
        if (const Movement* m = movement_named(movements, id); m && m->asks.balance >= much && !item.support)
            return LeftOut::Code::no_support;
    return std::nullopt;
}

} // namespace bevel
