#include "core/practice/making.h"
#include "core/form/pieces.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

constexpr double free_breaths = 2;  // between holds
constexpr double usual_hold_s = 30; // or three breaths
constexpr int usual_side = 3, usual_all = 8;
constexpr int sequence_times = 1;    // a side, at each step of its growth
constexpr double round_least_s = 35; // of one round
constexpr int most_rounds = 4;       // of one thing

} // namespace

bool has(const std::vector<std::string>& all, std::string_view one) {
    return std::find(all.begin(), all.end(), one) != all.end();
}

/// What tires in a hold, and what is trained: parts as movements name them.
bool shares_part(const Movement& a, const Movement& b) {
    return std::any_of(a.trains.begin(), a.trains.end(), [&](const std::string& p) { return has(b.trains, p); });
}

const Drill* drill_of(const Movement& m, const AskedFor& a) {
    for (const auto& d : m.drills)
        if (a.drill.empty() ? has(d.rules, a.rule) : d.name == a.drill) return &d;
    return nullptr;
}

double side_seconds(const Movement& m, double pace) {
    return m.duration_s() * pace;
}

double hold_seconds(int holds, double hold, double breath, const PlanRules& rules) {
    const bool rest = rules[static_cast<std::size_t>(PlanRule::breaths)];
    return holds * hold + (rest ? std::max(0, holds - 1) * free_breaths * breath : 0);
}

int stage_of(const PlanItem& i, const std::vector<Movement>& movements) {
    const Movement* m = movement_of(i, movements);
    return m ? traits_of(*m).stage() : 0;
}

/// What serves as well takes turns, by the seed: 0 to 2.
double Making::varied(const std::string& id) const {
    if (needs.seed == 0) return 0;
    std::uint64_t x = needs.seed * 0x9E3779B97F4A7C15ULL;
    for (const char c : id) x = (x ^ static_cast<unsigned char>(c)) * 0x100000001B3ULL;
    x ^= x >> 31U;
    return 2 * static_cast<double>((x * 0x9E3779B97F4A7C15ULL) >> 40U) / static_cast<double>(1U << 24U);
}

/// By name: in a letter or by who plans.
bool Making::named(const std::string& id) const {
    return has(needs.wanted, id) ||
           std::any_of(needs.asked.begin(), needs.asked.end(), [&](const AskedFor& a) { return a.movement == id; });
}
bool Making::asked_for(const std::string& id) const {
    return named(id) || has(needs.practised, id) || needs.versions.contains(id);
}
/// Of somebody of whom it is not known what they practise: nothing deep, nothing that asks much of balance or knees.
bool Making::too_much_to_begin_with(const Movement& m, const std::string& version) const {
    if (!needs.practised.empty() || asked_for(m.id)) return false;
    const Asks asks = asks_of(m, version);
    return traits_of(m.as(version)).stage() > 1 || asks.balance > 2 || asks.knees > 2;
}

double Making::value_of(const Movement& m, const Traits& t, std::vector<PlanReason>& why) const {
    using C = PlanReason::Code;
    double v = t.loosening ? 3 : 6;
    // Somebody practises what is known; with limits or on a bad day what asks little of the knees.
    if (!t.loosening && !needs.practised.empty() && !has(needs.practised, m.id)) v = 3;
    if (!needs.limits.empty() || !needs.care.empty() || needs.careful()) v -= 1.2 * std::max(0, m.asks.knees - 1);
    if (needs.practised.empty() && !asked_for(m.id)) v -= 3 * std::max(0, m.asks.balance - 1); // who is not known yet
    v += varied(m.id);
    for (const auto& a : needs.asked)
        if (const PlanReason reason{C::asked, a.rule, ""}; a.movement == m.id) {
            v += 120;
            if (std::find(why.begin(), why.end(), reason) == why.end()) why.push_back(reason);
        }
    if (has(needs.wanted, m.id)) v += 80, why.push_back({C::wanted, "", ""});
    for (const auto& p : m.trains)
        if (needs.themes.contains(p)) {
            v += 25, why.push_back({C::theme, p, ""});
            break;
        }
    if (has(needs.practised, m.id)) v += 12, why.push_back({C::practised, "", ""});
    return v;
}

void Making::add(Choice c) {
    c.item.practice_s = practice_seconds(c.item, movements, needs.pace, needs.breath_s, rules);
    c.item.change_s = change_of_stance_s + explain_s;
    // Rounds after the first need no explanation; between them is a rest.
    c.seconds = c.item.seconds() + std::max(0, c.item.rounds - 1) * (c.item.practice_s + change_of_stance_s + settle_s);
    choices.push_back(std::move(c));
}

/// The gate, unless the rules it stands for are left off to see what they do.
Pass Making::gate(const Movement& m, const std::string& wish) const {
    Needs asked = needs;
    if (!on(PlanRule::limits)) asked.limits.clear(), asked.care.clear();
    if (!on(PlanRule::today)) asked.dizzy = asked.unsteady = false, asked.energy.reset();
    if (!on(PlanRule::steadier)) asked.wall = true;
    Pass p = pass(m, asked, wish);
    if (!on(PlanRule::steadier)) p.support = false, p.ladder = 0, p.first_side.clear();
    return p;
}
void Making::use(PlanItem& item, const Pass& way) const {
    const auto taught = needs.versions.find(item.movement);
    if (!way.version.empty() && (taught == needs.versions.end() || taught->second != way.version))
        if (const Movement* m = movement_named(movements, item.movement); m && barred(*m, "", needs))
            item.why.push_back({PlanReason::Code::gentler, "", ""});
    item.version = way.version;
    item.support = way.support;
    item.ladder = way.ladder;
    item.first_side = way.first_side;
}

void Making::choose_from() {
    for (const auto& m : movements) {
        const Traits t = traits_of(m);
        if (t.stand || m.course) continue; // a piece of a form is done where the form grows
        const bool locked =
            std::any_of(needs.locked.begin(), needs.locked.end(), [&](const PlanItem& i) { return i.movement == m.id && i.drill.empty(); });
        if (locked) continue;
        const Pass way = gate(m);
        if (way.barred) {
            left_out.push_back({m.id, *way.barred});
            continue;
        }
        if (too_much_to_begin_with(m, way.version)) continue;
        if (t.seated && !needs.limits.contains("seated") && !asked_for(m.id)) continue; // who may stand does the standing one
        choose(m, t, way);
    }
}

/// All ways of one movement, in the version that passed.
void Making::choose(const Movement& m, const Traits& t, const Pass& way) {
    PlanItem item;
    item.movement = m.id;
    item.part = t.loosening ? PlanPart::loosening : PlanPart::form;
    use(item, way);
    std::vector<PlanReason> why = item.why;
    const double value = value_of(m, t, why);
    item.why = why;
    const AskedFor* asked = nullptr;
    for (const auto& a : needs.asked)
        if (a.movement == m.id) asked = &a;
    const auto put = [&](int left, int right, int times, int holds, double hold, double more) {
        // A second round is welcome, in a long session a third; more only where there is nothing else. What brings the head down
        // is not done again and again on a careful day.
        const int usual = needs.minutes > short_session_min ? 3 : 2;
        const bool once = holds > 0 || (needs.careful() && on(PlanRule::today) && asks_of(m, item.version).head_low > 0);
        for (int rounds = 1; rounds <= (once ? 1 : most_rounds); ++rounds) {
            Choice c{item, &m, t, value + more + 0.4 * (rounds - 1) - 5 * std::max(0, rounds - usual), false, -1};
            c.item.left = left, c.item.right = right, c.item.times = times, c.item.holds = holds, c.item.hold_s = hold;
            if (rounds > 1) c.item.round = 1, c.item.rounds = rounds;
            add(std::move(c));
        }
    };
    if (t.hold) {
        const double hold = asked && asked->hold_s > 0 ? asked->hold_s : usual_hold_s;
        for (int n = 1; n <= 3; ++n) put(0, 0, 0, n, hold, n);
    } else if (t.sided) {
        // Quick ones more often, so that a round lasts.
        const double once_s = side_seconds(m, needs.pace) * 2 * usual_side;
        const int side =
            asked && asked->a_side > 0 ? asked->a_side : usual_side * std::clamp(static_cast<int>(round_least_s / once_s) + 1, 1, 3);
        put(side, side, 0, 0, 0, 0);
        if (!on(PlanRule::even)) put(side + 1, side, 0, 0, 0, 0.5), put(side, side + 2, 0, 0, 0, 0.7);
    } else {
        const double once_s = side_seconds(m, needs.pace) * usual_all;
        const int all = usual_all * std::clamp(static_cast<int>(round_least_s / once_s) + 1, 1, 3);
        put(0, 0, all, 0, 0, 0);
        if (!on(PlanRule::even)) put(0, 0, all + 3, 0, 0, 0.5);
    }
    // The drill that isolates what was asked, before the whole; not where the movement itself has to be gentler today.
    if (asked && !(on(PlanRule::limits) && barred(m, "", needs))) choose_drill(m, t, item, *asked);
}

void Making::choose_drill(const Movement& m, const Traits& t, const PlanItem& item, const AskedFor& asked) {
    const Drill* d = drill_of(m, asked);
    if (!d) return;
    Choice c{item, &m, t, -2, true, -1}; // it is there for the movement's sake
    c.item.part = PlanPart::drill;
    c.item.drill = d->name;
    c.item.version.clear();
    if (m.asks.balance >= 2 && on(PlanRule::steadier)) { // of the whole, whatever version follows it
        c.item.support = true;
        c.item.ladder = balance_step_of(needs.balance_step, needs.helper);
        c.item.first_side = needs.steadier;
    }
    c.item.why = {{PlanReason::Code::drill_for, m.id, ""}};
    t.sided ? (c.item.left = usual_side, c.item.right = usual_side) : c.item.times = usual_all;
    if (t.hold) c.item.times = 0, c.item.holds = 1, c.item.hold_s = usual_hold_s;
    add(std::move(c));
}

/// A sequence grown movement by movement, with its joins alone: (1), (2), join 1–2, 1–2, (3) …
/// In a sequence a movement is done as it is: what may not be done so today is left out of it, and said.
/// At most `most` of them are in it.
std::vector<PlanItem> Making::grown(std::size_t most) {
    std::vector<PlanItem> out;
    std::vector<std::string> known;
    bool support = false;
    for (const auto& id : needs.sequence) {
        if (known.size() == most) {
            left_out.push_back({id, LeftOut::Code::no_room});
            continue;
        }
        const Movement* m = movement_named(movements, id);
        if (!m) continue;
        const Pass way = gate(*m);
        if (way.barred || !way.version.empty()) {
            if (const auto why = way.barred ? way.barred : barred(*m, "", needs)) {
                left_out.push_back({id, *why});
                continue;
            }
        }
        support = support || (m->asks.balance >= 2 && on(PlanRule::steadier));
        known.push_back(id);
    }
    if (known.size() < 2) return out;
    const auto item = [&](PlanPart part, std::vector<std::string> ids) {
        PlanItem i;
        i.part = part;
        i.movement = ids.front();
        i.sequence = std::move(ids);
        i.left = i.right = part == PlanPart::join ? 2 : sequence_times;
        i.why = {{PlanReason::Code::grows, "", ""}};
        i.support = support;
        if (support) i.ladder = balance_step_of(needs.balance_step, needs.helper);
        i.practice_s = practice_seconds(i, movements, needs.pace, needs.breath_s, rules);
        i.change_s = change_of_stance_s;
        return i;
    };
    if (!on(PlanRule::grow)) return {item(PlanPart::sequence, known)};
    for (std::size_t n = 1; n <= known.size(); ++n) {
        if (n > 1) out.push_back(item(PlanPart::join, {known[n - 2], known[n - 1]}));
        out.push_back(item(PlanPart::sequence, {known.begin(), known.begin() + static_cast<std::ptrdiff_t>(n)}));
    }
    return out;
}

std::vector<std::vector<PlanItem>> Making::form_steps() {
    std::vector<std::vector<PlanItem>> out;
    if (!needs.form) return out;
    const FormToGrow& form = *needs.form;
    constexpr int alone = 2, most_weak = 3;
    // False where it may not be done today.
    const auto add = [&](std::vector<PlanItem>& to, PlanPart part, int from, int until, int times, bool recall = false,
                         PlanReason::Code why = PlanReason::Code::grows) {
        const PieceId id{form.form, from, until, part == PlanPart::join, form.mirrored};
        const Movement* m = movement_named(movements, id.text());
        if (!m) return false;
        const Pass way = gate(*m);
        if (way.barred) {
            left_out.push_back({m->id, *way.barred});
            return false;
        }
        PlanItem i;
        i.part = part;
        i.movement = m->id;
        i.times = times;
        i.recall = recall;
        i.why = {{why, why == PlanReason::Code::grows ? form.form : std::string(), ""}};
        use(i, way);
        i.first_side.clear(); // its sides are in the form's own order
        i.practice_s = practice_seconds(i, movements, needs.pace, needs.breath_s, rules);
        i.change_s = change_of_stance_s;
        to.push_back(std::move(i));
        return true;
    };
    const int count = form.steps.empty() ? 0 : form.steps.back().second, known = std::clamp(form.known, 0, count);
    if (known > 0) {
        std::vector<PlanItem> step;
        int weak = 0;
        for (const int w : form.weak) {
            if (w < 1 || w > known || ++weak > most_weak) continue;
            constexpr auto asked = PlanReason::Code::asked;
            if (!add(step, PlanPart::sequence, w, w, alone, false, asked) ||
                (w > 1 && !add(step, PlanPart::join, w - 1, w, alone, false, asked)))
                return out;
        }
        if (!add(step, PlanPart::sequence, 1, known, 1, form.recall, PlanReason::Code::practised)) return out;
        out.push_back(std::move(step));
    }
    for (const auto& [from, to] : form.steps) {
        if (to <= known) continue;
        std::vector<PlanItem> step;
        const int begin = std::max(from, known + 1);
        bool can = true;
        for (int k = begin; can && k <= to; ++k)
            can = add(step, PlanPart::sequence, k, k, alone) && (k == 1 || add(step, PlanPart::join, k - 1, k, alone));
        if (!can || (to > 1 && !add(step, PlanPart::sequence, 1, to, 1))) break;
        out.push_back(std::move(step));
    }
    return out;
}

} // namespace bevel
