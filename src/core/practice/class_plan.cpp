#include "core/practice/class_plan.h"
#include "core/form/pieces.h"
#include "core/practice/gate.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

/// Movements of an item, one after the other.
std::vector<std::string> movements_in(const PlanItem& i) {
    return i.sequence.empty() ? std::vector<std::string>{i.movement} : i.sequence;
}

/// How far a movement is from what is led: of the same kind, training the same, as long; the nearest is the least change for the class.
double distance(const Movement& led, const Movement& other) {
    const Traits a = traits_of(led), b = traits_of(other);
    double d = led.kind == other.kind ? 0 : 1;
    d += (a.loosening == b.loosening ? 0 : 1) + (a.hold == b.hold ? 0 : 1) + (a.stand == b.stand ? 0 : 2);
    int shared = 0;
    for (const auto& t : led.trains) shared += std::find(other.trains.begin(), other.trains.end(), t) != other.trains.end() ? 1 : 0;
    d -= static_cast<double>(shared) / static_cast<double>(std::max<std::size_t>(1, led.trains.size()));
    return d + 0.3 * std::abs(std::log(std::max(0.5, other.duration_s()) / std::max(0.5, led.duration_s())));
}

/// The way of an item itself that lets this person do it; `rest` where there is none.
Instead own_way(const PlanItem& item, const Needs& needs, const std::vector<Movement>& movements) {
    Instead out;
    // What the instructor let in was let in for the class as it stands, not for everybody in it.
    PlanItem as_led = item;
    as_led.let_in.clear();
    out.why = barred(as_led, needs, movements);
    const auto ids = movements_in(item);
    const Movement* first = movement_named(movements, ids.front());
    const bool balances = std::any_of(ids.begin(), ids.end(), [&](const std::string& id) {
        const Movement* m = movement_named(movements, id);
        return m && asks_for_balance(*m, item.version);
    });
    if (!out.why) {
        if (balances) out.ladder = balance_step_of(needs.balance_step, needs.helper);
        return out;
    }
    if (*out.why == LeftOut::Code::no_support && first) { // only something to hold is missing
        as_led.support = true;
        if (!barred(as_led, needs, movements)) {
            out.way = Instead::Way::held;
            out.what = {item.movement, item.version, true};
            out.ladder = balance_step_of(needs.balance_step, needs.helper);
            return out;
        }
    }
    out.way = Instead::Way::rest;
    if (!first || item.sequence.size() > 1) return out;
    if (const Pass p = pass(*first, needs, item.version); !p.barred) {
        out.way = Instead::Way::easier;
        out.what = {first->id, p.version, p.support};
        out.ladder = p.ladder;
    }
    return out;
}

/// Movements that stand for an item, the nearest first.
std::vector<const Movement*> others_for(const PlanItem& item, const std::vector<Movement>& movements) {
    const auto ids = movements_in(item);
    const Movement* led = movement_named(movements, ids.front());
    std::vector<std::pair<double, const Movement*>> all;
    for (const auto& m : movements) {
        if (std::find(ids.begin(), ids.end(), m.id) != ids.end() || PieceId::read(m.id) || m.course) continue;
        all.emplace_back(led ? distance(*led, m) : 0, &m);
    }
    std::stable_sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<const Movement*> out;
    for (const auto& [d, m] : all) out.push_back(m);
    return out;
}

/// Those who have no way of the item itself get another movement: the nearest that all of them may do, else the one that most of them may,
/// and so on for the rest.
void give_another(const PlanItem& item, std::vector<Instead>& row, std::span<const InClass> there, const std::vector<Movement>& movements) {
    std::vector<std::size_t> open;
    for (std::size_t k = 0; k < row.size(); ++k)
        if (row[k].way == Instead::Way::rest) open.push_back(k);
    const auto others = open.empty() ? std::vector<const Movement*>() : others_for(item, movements);
    while (!open.empty()) {
        const Movement* best = nullptr;
        std::vector<std::size_t> helped;
        for (const Movement* m : others) {
            std::vector<std::size_t> can;
            for (const auto k : open)
                if (!pass(*m, there[k].needs).barred) can.push_back(k);
            if (can.size() > helped.size()) best = m, helped = can;
            if (helped.size() == open.size()) break;
        }
        if (!best) return; // they rest
        for (const auto k : helped) {
            const Pass p = pass(*best, there[k].needs);
            row[k].way = Instead::Way::another;
            row[k].what = {best->id, p.version, p.support};
            row[k].ladder = p.ladder;
            std::erase(open, k);
        }
    }
}

} // namespace

Needs needs_of_class(const Needs& day, std::span<const InClass> there) {
    Needs n = day;
    const auto most = [&](auto has) { return 2 * std::count_if(there.begin(), there.end(), has) >= std::ssize(there); };
    std::set<std::string> limits, care;
    for (const auto& one : there) {
        limits.insert(one.needs.limits.begin(), one.needs.limits.end());
        care.insert(one.needs.care.begin(), one.needs.care.end());
        if (one.needs.balance_step > 0)
            n.balance_step = n.balance_step == 0 ? one.needs.balance_step : std::min(n.balance_step, one.needs.balance_step);
        for (const auto& a : one.needs.asked)
            if (n.asked.size() < 3 && std::none_of(n.asked.begin(), n.asked.end(),
                                                   [&](const AskedFor& x) { return x.movement == a.movement && x.rule == a.rule; }))
                n.asked.push_back(a);
        for (const auto& id : one.needs.practised) {
            const auto knows = [&](const InClass& x) {
                return std::find(x.needs.practised.begin(), x.needs.practised.end(), id) != x.needs.practised.end();
            };
            if (std::find(n.practised.begin(), n.practised.end(), id) == n.practised.end() &&
                2 * std::count_if(there.begin(), there.end(), knows) > std::ssize(there))
                n.practised.push_back(id);
        }
    }
    for (const auto& l : limits)
        if (most([&](const InClass& x) { return x.needs.limits.contains(l); })) n.limits.insert(l);
    for (const auto& c : care)
        if (most([&](const InClass& x) { return x.needs.care.contains(c); })) n.care.insert(c);
    if (!there.empty()) {
        n.dizzy = n.dizzy || most([](const InClass& x) { return x.needs.dizzy; });
        n.unsteady = n.unsteady || most([](const InClass& x) { return x.needs.unsteady; });
    }
    return n;
}

std::vector<std::vector<Instead>> instead_of(const Plan& plan, std::span<const InClass> there, const std::vector<Movement>& movements) {
    std::vector<std::vector<Instead>> out;
    for (const auto& item : plan.items) {
        std::vector<Instead> row;
        for (const auto& one : there) row.push_back(own_way(item, one.needs, movements));
        give_another(item, row, there, movements);
        out.push_back(std::move(row));
    }
    return out;
}

void say_otherwise(Plan& plan, const std::vector<std::vector<Instead>>& instead) {
    for (std::size_t i = 0; i < plan.items.size(); ++i) {
        auto& said = plan.items[i].otherwise;
        said.clear();
        if (i >= instead.size()) continue;
        for (const auto& one : instead[i]) {
            if (one.way == Instead::Way::as_led) continue;
            const Otherwise what = one.way == Instead::Way::rest ? Otherwise{} : one.what;
            if (std::find(said.begin(), said.end(), what) == said.end()) said.push_back(what);
        }
    }
}

std::string otherwise_text(const Otherwise& o) {
    return o.movement + "\n" + o.version + "\n" + (o.support ? "held" : "");
}

Otherwise parse_otherwise(const std::string& text) {
    Otherwise o;
    const auto a = text.find('\n'), b = a == std::string::npos ? a : text.find('\n', a + 1);
    if (b == std::string::npos) return o;
    o.movement = text.substr(0, a);
    o.version = text.substr(a + 1, b - a - 1);
    o.support = text.substr(b + 1) == "held";
    return o;
}

} // namespace bevel
