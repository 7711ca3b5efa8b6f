#include "core/practice/plan.h"
#include "core/practice/gate.h"
#include "core/practice/making.h"
#include <algorithm>
#include <array>
#include <cmath>

namespace bevel {
namespace {

constexpr double drill_share = 0.7; // of its movement's own time a repeat, a drill takes

} // namespace

const Movement* movement_named(const std::vector<Movement>& movements, const std::string& id) {
    for (const auto& m : movements)
        if (m.id == id) return &m;
    return nullptr;
}

const Movement* movement_of(const PlanItem& item, const std::vector<Movement>& movements, const std::string& id) {
    const Movement* m = movement_named(movements, id.empty() ? item.movement : id);
    return m && item.sequence.empty() ? &m->as(item.version) : m;
}

double most_things(double minutes) {
    return minutes <= 20 ? std::max(2.0, std::floor(0.3 * minutes)) : std::floor(6 + 0.15 * (minutes - 20));
}

int balance_step_of(int known, bool helper) {
    const int step = known > 0 ? known : static_cast<int>(BalanceStep::in_reach);
    return std::min(step, static_cast<int>(helper ? BalanceStep::eyes_closed : BalanceStep::slower));
}

std::string_view plan_part_name(PlanPart p) {
    constexpr std::array<std::string_view, 8> n{"opening", "loosening", "drill", "form", "sequence", "join", "settling", "closing"};
    return n[static_cast<std::size_t>(p)];
}

std::optional<PlanPart> plan_part_from(std::string_view name) {
    for (int i = 0; i <= static_cast<int>(PlanPart::closing); ++i)
        if (plan_part_name(static_cast<PlanPart>(i)) == name) return static_cast<PlanPart>(i);
    return std::nullopt;
}

Traits traits_of(const Movement& m) {
    Traits t;
    t.stand = m.kind == "settling";
    t.loosening = m.kind == "loosening" || m.kind == "waist and spine";
    t.form = !t.stand && !t.loosening;
    t.hold = m.kind == "standing" && m.repetitions == 1;
    t.balance = m.asks.balance >= 2;
    t.overhead = m.asks.overhead >= 2;
    t.bends = has(m.cautions, "bends");
    t.dizzy = has(m.cautions, "dizziness");
    t.sided = !m.symmetric();
    t.seated = has(m.needs, "seat");
    t.stick = m.tool.has_value();
    for (const auto& p : m.phases) {
        t.twists = t.twists || std::abs(p.posture.shoulder_turn) > 30 || std::abs(p.posture.shoulder_turn - p.posture.pelvis_turn) > 15;
        if (p.posture.seat < 0.5) t.depth = std::min(t.depth, p.posture.depth);
    }
    return t;
}

double Plan::total_s() const {
    double s = 0;
    for (const auto& i : items) s += i.seconds();
    return s;
}

double Plan::loosening_share() const {
    double s = 0;
    for (const auto& i : items)
        if (i.part == PlanPart::loosening) s += i.seconds();
    const double all = total_s();
    return all > 0 ? s / all : 0;
}

double practice_seconds(const PlanItem& i, const std::vector<Movement>& movements, double pace, double breath_s, const PlanRules& rules) {
    if (i.part == PlanPart::opening || i.part == PlanPart::closing || i.part == PlanPart::settling) return i.practice_s;
    if (i.holds > 0) return hold_seconds(i.holds, i.hold_s, breath_s, rules);
    double once = 0;
    if (i.part == PlanPart::join && i.sequence.size() == 2) {
        // The end of the one and the beginning of the other.
        for (const auto& [id, end] : {std::pair{i.sequence[0], true}, {i.sequence[1], false}})
            if (const Movement* m = movement_named(movements, id); m && !m->phases.empty())
                once += pace * (end ? m->phases.back() : m->phases.front()).duration_s;
    } else if (!i.sequence.empty()) {
        for (const auto& id : i.sequence)
            if (const Movement* m = movement_named(movements, id)) once += side_seconds(*m, pace);
    } else if (const Movement* m = movement_of(i, movements)) {
        once = side_seconds(*m, pace);
    }
    if (!i.drill.empty()) once *= drill_share;
    return once * (i.left + i.right + i.times);
}

void settle_plan(Plan& plan, const std::vector<Movement>& movements) {
    std::set<std::string> said;
    for (auto& i : plan.items) {
        i.practice_s = practice_seconds(i, movements, plan.pace, plan.breath_s);
        i.cautions.clear();
        const Movement* m = movement_of(i, movements);
        if (!m || i.part == PlanPart::settling) continue;
        for (const auto& c : m->cautions)
            if (said.insert(c).second) i.cautions.push_back(c);
    }
}

std::vector<PlanProblem> problems_of(const Plan& plan, const Needs& needs, const std::vector<Movement>& movements) {
    std::vector<PlanProblem> out;
    if (plan.items.empty()) return out;
    if (plan.items.front().part != PlanPart::opening) out.push_back({PlanRule::frame, 0});
    if (plan.items.back().part != PlanPart::closing) out.push_back({PlanRule::frame, plan.items.size() - 1});
    if (std::abs(plan.total_s() - 60 * plan.minutes) > 30) out.push_back({PlanRule::time, std::nullopt});
    if (const double share = plan.loosening_share(); plan.minutes <= short_session_min && (share < 0.33 || share > 0.42))
        out.push_back({PlanRule::loosening, std::nullopt});
    int before = 0;
    bool twisted = false;
    std::set<std::string> drilled;
    for (std::size_t n = 0; n < plan.items.size(); ++n) {
        const auto& i = plan.items[n];
        const Movement* m = movement_named(movements, i.movement);
        if (i.part == PlanPart::opening || i.part == PlanPart::closing)
            if (barred(i, needs, movements)) out.push_back({PlanRule::limits, n}); // who sits, sits at both ends
        if (!m || i.part == PlanPart::settling || i.part == PlanPart::opening || i.part == PlanPart::closing) continue;
        const Traits t = traits_of(*m);
        if (i.left != i.right) out.push_back({PlanRule::even, n});
        if (const auto why = barred(i, needs, movements))
            out.push_back({*why == LeftOut::Code::overhead_today || *why == LeftOut::Code::balance_today ? PlanRule::today
                           : *why == LeftOut::Code::no_support                                           ? PlanRule::steadier
                                                                                                         : PlanRule::limits,
                           n});
        if (i.part == PlanPart::loosening &&
            std::none_of(i.why.begin(), i.why.end(), [](const PlanReason& r) { return r.code == PlanReason::Code::eases; })) {
            if (twisted && !t.twists) out.push_back({PlanRule::large_first, n});
            twisted = twisted || t.twists;
        }
        if (i.part == PlanPart::drill) drilled.insert(i.movement);
        for (const auto& a : needs.asked)
            if (i.part == PlanPart::form && a.movement == i.movement && drill_of(*m, a) && (i.version.empty() || t.balance) &&
                !drilled.contains(i.movement))
                out.push_back({PlanRule::drill_first, n});
        if (i.part == PlanPart::form) {
            const int stage = stage_of(i, movements);
            if (stage == 2 && before < 1) out.push_back({PlanRule::stages, n});
            before = stage;
        }
        if (i.part == PlanPart::form && i.holds > 0 && (n + 1 >= plan.items.size() || plan.items[n + 1].part != PlanPart::loosening))
            out.push_back({PlanRule::easing, n});
    }
    return out;
}

} // namespace bevel
