#include "core/practice/plan.h"
#include "core/practice/gate.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <coin/Cbc_C_Interface.h>
#include <map>

namespace bevel {
namespace {

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

constexpr double settle_s = 16;     // two easy breaths
constexpr double free_breaths = 2;  // between holds
constexpr double usual_hold_s = 30; // or three breaths
constexpr int usual_side = 3, usual_all = 8;
constexpr double drill_share = 0.7;  // of its movement's own time a repeat, a drill takes
constexpr int sequence_times = 1;    // a side, at each step of its growth
constexpr double round_least_s = 35; // of one round
constexpr int most_rounds = 4;       // of one thing
constexpr int nodes = 4000;          // of the search; not a time, so that it is repeatable

double side_seconds(const Movement& m, double pace) {
    return m.duration_s() * pace;
}

double hold_seconds(int holds, double hold, double breath, const PlanRules& rules) {
    const bool rest = rules[static_cast<std::size_t>(PlanRule::breaths)];
    return holds * hold + (rest ? std::max(0, holds - 1) * free_breaths * breath : 0);
}

/// A linear programme in whole and real numbers, built column by column.
class Programme {
public:
    int column(double low, double high, double value, bool whole) {
        low_.push_back(low), high_.push_back(high), value_.push_back(value), whole_.push_back(whole);
        return static_cast<int>(low_.size()) - 1;
    }
    void row(std::vector<std::pair<int, double>> terms, double low, double high) { rows_.push_back({std::move(terms), low, high}); }

    /// The best found within the nodes allowed; nothing where none is feasible.
    std::optional<std::vector<double>> best() const {
        const auto n = low_.size();
        std::vector<std::vector<std::pair<int, double>>> by_column(n);
        std::vector<double> below, above;
        for (std::size_t r = 0; r < rows_.size(); ++r) {
            std::map<int, double> sum;
            for (const auto& [c, v] : rows_[r].terms) sum[c] += v;
            for (const auto& [c, v] : sum) by_column[static_cast<std::size_t>(c)].emplace_back(static_cast<int>(r), v);
            below.push_back(rows_[r].low), above.push_back(rows_[r].high);
        }
        std::vector<CoinBigIndex> start{0};
        std::vector<int> index;
        std::vector<double> values;
        for (const auto& c : by_column) {
            for (const auto& [r, v] : c) index.push_back(r), values.push_back(v);
            start.push_back(static_cast<CoinBigIndex>(index.size()));
        }
        const std::unique_ptr<Cbc_Model, decltype(&Cbc_deleteModel)> model(Cbc_newModel(), Cbc_deleteModel);
        Cbc_loadProblem(model.get(), static_cast<int>(n), static_cast<int>(rows_.size()), start.data(), index.data(), values.data(),
                        low_.data(), high_.data(), value_.data(), below.data(), above.data());
        Cbc_setObjSense(model.get(), -1);
        for (std::size_t i = 0; i < n; ++i)
            if (whole_[i]) Cbc_setInteger(model.get(), static_cast<int>(i));
        Cbc_setParameter(model.get(), "log", "0");
        Cbc_setParameter(model.get(), "maxNodes", std::to_string(nodes).c_str());
        Cbc_setParameter(model.get(), "ratioGap", "0.01"); // a hundredth of what could be better is not waited for
        Cbc_setParameter(model.get(), "threads", "0");
        Cbc_solve(model.get());
        if (Cbc_isProvenInfeasible(model.get()) || Cbc_numberSavedSolutions(model.get()) == 0) return std::nullopt;
        const double* x = Cbc_getColSolution(model.get());
        return std::vector<double>(x, x + n);
    }

private:
    struct Row {
        std::vector<std::pair<int, double>> terms;
        double low, high;
    };
    std::vector<double> low_, high_, value_;
    std::vector<bool> whole_;
    std::vector<Row> rows_;
};

constexpr double endless = 1e30;

/// One way of putting a movement into the session.
struct Choice {
    PlanItem item;
    const Movement* movement = nullptr;
    Traits traits;
    double value = 0;
    bool is_drill = false;
    int column = -1;
    double seconds = 0; // all rounds and the rests between them
};

/// Everything that is asked while a plan is made.
struct Making {
    const Needs& needs;
    const std::vector<Movement>& movements;
    const PlanRules& rules;
    std::vector<Choice> choices;
    std::vector<LeftOut> left_out;

    bool on(PlanRule r) const { return rules[static_cast<std::size_t>(r)]; }

    /// What serves as well takes turns, by the seed: 0 to 2.
    double varied(const std::string& id) const {
        if (needs.seed == 0) return 0;
        std::uint64_t x = needs.seed * 0x9E3779B97F4A7C15ULL;
        for (const char c : id) x = (x ^ static_cast<unsigned char>(c)) * 0x100000001B3ULL;
        x ^= x >> 31U;
        return 2 * static_cast<double>((x * 0x9E3779B97F4A7C15ULL) >> 40U) / static_cast<double>(1U << 24U);
    }

    /// By name: in a letter or by who plans.
    bool named(const std::string& id) const {
        return has(needs.wanted, id) ||
               std::any_of(needs.asked.begin(), needs.asked.end(), [&](const AskedFor& a) { return a.movement == id; });
    }
    bool asked_for(const std::string& id) const { return named(id) || has(needs.practised, id) || needs.versions.contains(id); }
    /// Of somebody of whom it is not known what they practise: nothing deep, nothing that asks much of balance or knees.
    bool too_much_to_begin_with(const Movement& m, const std::string& version) const {
        if (!needs.practised.empty() || asked_for(m.id)) return false;
        const Asks asks = asks_of(m, version);
        return traits_of(m.as(version)).stage() > 1 || asks.balance > 2 || asks.knees > 2;
    }

    double value_of(const Movement& m, const Traits& t, std::vector<PlanReason>& why) const {
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

    void add(Choice c) {
        c.item.practice_s = practice_seconds(c.item, movements, needs.pace, needs.breath_s, rules);
        c.item.change_s = change_of_stance_s + explain_s;
        // Rounds after the first need no explanation; between them is a rest.
        c.seconds = c.item.seconds() + std::max(0, c.item.rounds - 1) * (c.item.practice_s + change_of_stance_s + settle_s);
        choices.push_back(std::move(c));
    }

    /// The gate, unless the rules it stands for are left off to see what they do.
    Pass gate(const Movement& m, const std::string& wish = {}) const {
        Needs asked = needs;
        if (!on(PlanRule::limits)) asked.limits.clear(), asked.care.clear();
        if (!on(PlanRule::today)) asked.dizzy = asked.unsteady = false, asked.energy.reset();
        if (!on(PlanRule::steadier)) asked.wall = true;
        Pass p = pass(m, asked, wish);
        if (!on(PlanRule::steadier)) p.support = false, p.ladder = 0, p.first_side.clear();
        return p;
    }
    void use(PlanItem& item, const Pass& way) const {
        const auto taught = needs.versions.find(item.movement);
        if (!way.version.empty() && (taught == needs.versions.end() || taught->second != way.version))
            if (const Movement* m = movement_named(movements, item.movement); m && barred(*m, "", needs))
                item.why.push_back({PlanReason::Code::gentler, "", ""});
        item.version = way.version;
        item.support = way.support;
        item.ladder = way.ladder;
        item.first_side = way.first_side;
    }

    void choose_from() {
        for (const auto& m : movements) {
            const Traits t = traits_of(m);
            if (t.stand) continue;
            const bool locked = std::any_of(needs.locked.begin(), needs.locked.end(),
                                            [&](const PlanItem& i) { return i.movement == m.id && i.drill.empty(); });
            if (locked) continue;
            PlanItem item;
            item.movement = m.id;
            item.part = t.loosening ? PlanPart::loosening : PlanPart::form;
            const Pass way = gate(m);
            if (way.barred) {
                left_out.push_back({m.id, *way.barred});
                continue;
            }
            if (too_much_to_begin_with(m, way.version)) continue;
            if (t.seated && !needs.limits.contains("seated") && !asked_for(m.id)) continue; // who may stand does the standing one
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
                const int side = asked && asked->a_side > 0 ? asked->a_side
                                                            : usual_side * std::clamp(static_cast<int>(round_least_s / once_s) + 1, 1, 3);
                put(side, side, 0, 0, 0, 0);
                if (!on(PlanRule::even)) put(side + 1, side, 0, 0, 0, 0.5), put(side, side + 2, 0, 0, 0, 0.7);
            } else {
                const double once_s = side_seconds(m, needs.pace) * usual_all;
                const int all = usual_all * std::clamp(static_cast<int>(round_least_s / once_s) + 1, 1, 3);
                put(0, 0, all, 0, 0, 0);
                if (!on(PlanRule::even)) put(0, 0, all + 3, 0, 0, 0.5);
            }
            // The drill that isolates what was asked, before the whole; not where the movement itself has to be gentler today.
            if (asked && !(on(PlanRule::limits) && barred(m, "", needs)))
                if (const Drill* d = drill_of(m, *asked)) {
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
        }
    }

    /// A sequence grown movement by movement, with its joins alone: (1), (2), join 1–2, 1–2, (3) …
    /// In a sequence a movement is done as it is: what may not be done so today is left out of it, and said.
    std::vector<PlanItem> grown() {
        std::vector<PlanItem> out;
        std::vector<std::string> known;
        bool support = false;
        for (const auto& id : needs.sequence) {
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
};

PlanItem stand(PlanPart part, const std::string& id, const std::string& version, double seconds) {
    PlanItem i;
    i.part = part;
    i.movement = id;
    i.version = version;
    i.practice_s = seconds;
    i.why = {{PlanReason::Code::frame, "", ""}};
    return i;
}

PlanItem settling() {
    PlanItem i;
    i.part = PlanPart::settling;
    i.practice_s = settle_s;
    i.why = {{PlanReason::Code::settles, "", ""}};
    return i;
}

int stage_of(const PlanItem& i, const std::vector<Movement>& movements) {
    const Movement* m = movement_of(i, movements);
    return m ? traits_of(*m).stage() : 0;
}

/// A form with what goes before it (drill) and after it (easing).
using Block = std::vector<PlanItem>;

/// An item as often as it has rounds, with a rest between.
void add_rounds(Block& b, PlanItem item) {
    const int rounds = std::max(1, item.rounds);
    for (int r = 1; r <= rounds; ++r) {
        if (r > 1) {
            b.push_back(settling());
            item.change_s = change_of_stance_s;
            item.round = r;
        }
        b.push_back(item);
    }
}

/// Loosening: large joints first, twists after; within that what asks more of balance later.
void order_loosening(std::vector<Block>& blocks, const std::vector<Movement>& movements, bool large_first) {
    const auto key = [&](const Block& b) {
        const Movement* m = movement_named(movements, b.back().movement);
        const Traits t = m ? traits_of(*m) : Traits{};
        const int deep = m ? std::max(stage_of(b.back(), movements), m->asks.knees - 1) : 0; // starts easy
        return std::tuple(large_first ? static_cast<int>(t.twists) : 0, deep, large_first ? static_cast<int>(t.bends) : 0,
                          b.back().movement);
    };
    std::stable_sort(blocks.begin(), blocks.end(), [&](const Block& a, const Block& b) { return key(a) < key(b); });
}

/// High, middle, low, then up again: the middle ones are shared out to both sides of the low ones, the high ones to both ends.
void order_forms(std::vector<Block>& blocks, const std::vector<Movement>& movements, bool stages) {
    const auto stage = [&](const Block& b) {
        int s = 0;
        for (const auto& i : b) s = std::max(s, stage_of(i, movements));
        return s;
    };
    const auto hold = [&](const Block& b) { return std::any_of(b.begin(), b.end(), [](const PlanItem& i) { return i.holds > 0; }); };
    std::stable_sort(blocks.begin(), blocks.end(), [&](const Block& a, const Block& b) {
        return std::tuple(stages ? stage(a) : 0, hold(a), a.front().movement) <
               std::tuple(stages ? stage(b) : 0, hold(b), b.front().movement);
    });
    if (!stages) return;
    std::vector<Block> up, low, down;
    std::array<std::size_t, 3> count{};
    for (const auto& b : blocks) ++count[static_cast<std::size_t>(stage(b))];
    std::array<std::size_t, 3> placed{};
    for (auto& b : blocks) {
        const auto s = static_cast<std::size_t>(stage(b));
        if (s == 2)
            low.push_back(std::move(b));
        else
            (placed[s]++ < (count[s] + 1) / 2 || count[2] == 0 ? up : down).push_back(std::move(b));
    }
    std::stable_sort(down.begin(), down.end(), [&](const Block& a, const Block& b) { return stage(a) > stage(b); });
    blocks.clear();
    for (auto* part : {&up, &low, &down})
        for (auto& b : *part) blocks.push_back(std::move(b));
}

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

Result<Plan> propose(const Needs& needs, const std::vector<Movement>& movements, const PlanRules& rules) {
    if (!(needs.minutes >= 4 && needs.minutes <= 180)) return fail(Code::bad_value, "minutes");
    if (!(needs.pace >= 0.5 && needs.pace <= 3)) return fail(Code::bad_value, "pace");
    Making make{needs, movements, rules, {}, {}};
    const auto on = [&](PlanRule r) { return make.on(r); };
    const double all_s = needs.minutes * 60;
    std::string quiet, quiet_version;
    for (const auto& m : movements)
        if (traits_of(m).stand && quiet.empty()) quiet = m.id, quiet_version = make.gate(m).version;
    make.choose_from();
    const auto sequence = make.grown();
    std::vector<PlanItem> fixed;
    for (auto i : needs.locked) {
        if (i.part == PlanPart::opening || i.part == PlanPart::closing || i.part == PlanPart::settling) continue;
        i.why.clear();
        // What was kept passes the gate as well: in an easier version where there is one.
        if (const auto why = on(PlanRule::limits) ? barred(i, needs, movements) : std::nullopt) {
            const Movement* m = movement_named(movements, i.movement);
            const Pass way = m && i.sequence.empty() && i.drill.empty() ? make.gate(*m, i.version) : Pass{why, {}, false, 0, {}};
            if (way.barred) {
                make.left_out.push_back({i.movement, *why});
                continue;
            }
            make.use(i, way);
        }
        i.locked = true;
        i.why.insert(i.why.begin(), {PlanReason::Code::kept, "", ""});
        fixed.push_back(std::move(i));
    }
    double fixed_s = 0, fixed_loosening = 0;
    int fixed_forms = 0;
    for (const auto& i : fixed) {
        fixed_s += i.seconds();
        i.part == PlanPart::loosening ? fixed_loosening += i.seconds() : fixed_forms += i.part == PlanPart::form;
    }
    for (const auto& i : sequence) fixed_s += i.seconds();
    if (fixed_s + (on(PlanRule::frame) ? 2 * stand_least_s : 0) > all_s) return fail(Code::bad_value, "locked");

    Programme lp;
    // Quiet stands at both ends take up what is left, within what is sensible; beyond that it is said that time is left.
    const bool frame = on(PlanRule::frame) && !quiet.empty();
    const double least = frame ? std::min(stand_least_s, all_s * 0.12) : 0;
    const int stands = lp.column(frame ? 2 * least : 0, frame ? 2 * stand_most_s : 0, -0.02, false);
    const int spare = lp.column(0, all_s, -0.6, false);
    const int over = lp.column(0, on(PlanRule::time) ? 0 : 240, -0.001, false); // too long, where that is not looked at
    std::vector<std::pair<int, double>> time{{stands, 1}, {spare, 1}, {over, -1}}, loosening, count, settles;
    for (auto& c : make.choices) {
        c.column = lp.column(0, 1, c.value, true);
        time.emplace_back(c.column, c.seconds);
        if (!c.is_drill) count.emplace_back(c.column, 1); // a drill with its movement is one thing
        if (c.item.part == PlanPart::loosening) loosening.emplace_back(c.column, c.seconds - std::max(0, c.item.rounds - 1) * settle_s);
        if (c.item.part == PlanPart::form && on(PlanRule::settling)) settles.emplace_back(c.column, settle_s);
    }
    for (const auto& s : settles) time.push_back(s);
    const double fixed_settling = on(PlanRule::settling) ? settle_s * fixed_forms : 0;
    lp.row(time, all_s - fixed_s - fixed_settling, all_s - fixed_s - fixed_settling);
    // Loosening: a band in a short session, a wider one in a long. What cannot be kept costs dearly.
    if (on(PlanRule::loosening)) {
        const double low = needs.minutes <= short_session_min ? 0.35 : 0.2, high = 0.4;
        const int under = lp.column(0, endless, -4, false), above = lp.column(0, endless, -4, false);
        auto from = loosening, to = loosening;
        from.emplace_back(under, 1);
        to.emplace_back(above, -1);
        lp.row(from, low * all_s - fixed_loosening, endless);
        lp.row(to, -endless, high * all_s - fixed_loosening);
    }
    if (on(PlanRule::few))
        lp.row(
            count, -endless,
            std::max(2.0, most_things(needs.minutes) - (static_cast<double>(fixed.size()) + 0.5 * static_cast<double>(sequence.size()))));
    // Large joints are loosened too, not twists alone.
    if (on(PlanRule::large_first)) {
        std::vector<std::pair<int, double>> twists, large;
        for (const auto& c : make.choices)
            if (c.traits.loosening && !c.is_drill) (c.traits.twists ? twists : large).emplace_back(c.column, 1);
        if (!large.empty())
            for (const auto& t : twists) {
                auto row = large;
                row.emplace_back(t.first, -1);
                lp.row(row, 0, endless);
            }
    }
    // Twins stand in for each other, unless both were asked for.
    for (const auto& a : make.choices)
        for (const auto& b : make.choices)
            if (!a.is_drill && !b.is_drill && b.movement->twin_of == a.movement->id &&
                !(make.named(a.movement->id) && make.named(b.movement->id)))
                lp.row({{a.column, 1}, {b.column, 1}}, -endless, 1);
    // On a careful day at most one thing brings the head down; little is new on any day.
    std::vector<std::pair<int, double>> bends, fresh;
    for (const auto& c : make.choices) {
        if (c.is_drill) continue;
        if (asks_of(*c.movement, c.item.version).head_low > 0) bends.emplace_back(c.column, 1);
        if (!needs.practised.empty() && !make.asked_for(c.movement->id) && !c.traits.loosening) fresh.emplace_back(c.column, 1);
    }
    lp.row(bends, -endless, on(PlanRule::today) && needs.careful() ? 1 : needs.minutes > short_session_min ? 3 : 2);
    if (on(PlanRule::few) && !fresh.empty()) { // more only where what was asked for needs it before or after
        fresh.emplace_back(lp.column(0, endless, -15, false), -1);
        lp.row(fresh, -endless, std::max(1.0, std::floor(most_things(needs.minutes) / 4)));
    }
    // One way a movement; a movement only with its drill; a low stance only between two middle ones; what is asked of the body loosened
    // before.
    std::vector<std::pair<int, double>> middle, low_ones;
    for (const auto& m : movements) {
        std::vector<std::pair<int, double>> ways, drills;
        for (const auto& c : make.choices)
            if (c.movement == &m) (c.is_drill ? drills : ways).emplace_back(c.column, 1);
        if (ways.empty()) continue;
        lp.row(ways, 0, 1);
        if (!drills.empty()) {
            auto both = drills; // no drill without its movement after it
            for (const auto& w : ways) both.emplace_back(w.first, -1);
            lp.row(both, -endless, 0);
            if (on(PlanRule::drill_first)) {
                auto before = ways; // and no movement without its drill
                for (const auto& d : drills) before.emplace_back(d.first, -1);
                lp.row(before, -endless, 0);
            }
        }
        const Traits t = traits_of(m);
        if (!t.form) continue;
        const auto& first = std::find_if(make.choices.begin(), make.choices.end(), [&](const Choice& c) { return c.movement == &m; })->item;
        const int stage = stage_of(first, movements);
        if (stage == 1)
            for (const auto& w : ways) middle.push_back(w);
        if (stage == 2)
            for (const auto& w : ways) low_ones.push_back(w);
        if (on(PlanRule::prepared) && !m.trains.empty()) {
            auto row = ways;
            bool fixed_does = false;
            for (const auto& c : make.choices)
                if (c.traits.loosening && !c.is_drill && shares_part(*c.movement, m)) row.emplace_back(c.column, -1);
            for (const auto& f : fixed)
                if (const Movement* x = movement_named(movements, f.movement))
                    fixed_does = fixed_does || (traits_of(*x).loosening && shares_part(*x, m));
            if (!fixed_does) lp.row(row, -endless, 0);
        }
        if (on(PlanRule::easing) && t.hold) {
            auto row = ways; // eased by something light for the same part that is not the loosening already used up: one more of them
            for (const auto& c : make.choices)
                if (c.traits.loosening && !c.is_drill && shares_part(*c.movement, m)) row.emplace_back(c.column, -0.5);
            lp.row(row, -endless, 0);
        }
    }
    if (on(PlanRule::stages))
        for (const auto& l : low_ones) {
            std::vector<std::pair<int, double>> row{{l.first, 2}};
            for (const auto& mid : middle) row.emplace_back(mid.first, -1);
            lp.row(row, -endless, 0);
        }
    // Many parts of the body rather than one.
    for (const char* p : {"legs", "waist", "spine", "shoulders", "balance", "breath"}) {
        const int touched = lp.column(0, 1, 5, false);
        std::vector<std::pair<int, double>> row{{touched, 1}};
        for (const auto& c : make.choices)
            if (has(c.movement->trains, p)) row.emplace_back(c.column, -1);
        lp.row(row, -endless, 0);
    }
    const auto x = lp.best();
    if (!x) return fail(Code::bad_value, "locked");

    Plan plan;
    plan.minutes = needs.minutes;
    plan.pace = needs.pace;
    plan.breath_s = needs.breath_s;
    plan.left_out = make.left_out;
    std::vector<Block> loose, blocks;
    std::vector<const Choice*> taken;
    for (const auto& c : make.choices)
        if ((*x)[static_cast<std::size_t>(c.column)] > 0.5) taken.push_back(&c);
    for (const auto& f : fixed) (f.part == PlanPart::loosening ? loose : blocks).push_back({f});
    for (const auto* c : taken) {
        if (c->is_drill) continue;
        Block b;
        for (const auto* d : taken)
            if (d->is_drill && d->movement == c->movement) b.push_back(d->item);
        if (c->item.part == PlanPart::loosening) {
            PlanItem i = c->item;
            for (const auto* form : taken) // "hip circles, because the side bend asks for them"
                if (form->item.part == PlanPart::form && shares_part(*c->movement, *form->movement)) {
                    const auto& parts = c->movement->trains;
                    const auto part =
                        std::find_if(parts.begin(), parts.end(), [&](const std::string& p) { return has(form->movement->trains, p); });
                    i.why.push_back({PlanReason::Code::prepares, form->item.movement, *part});
                    break;
                }
            add_rounds(b, std::move(i));
            loose.push_back(std::move(b));
            continue;
        }
        add_rounds(b, c->item);
        blocks.push_back(std::move(b));
    }
    order_loosening(loose, movements, on(PlanRule::large_first));
    // The last of what eases a hold stands after it.
    double rest_saved = 0;
    if (on(PlanRule::easing))
        for (auto& b : blocks) {
            if (b.back().holds == 0) continue;
            const Movement* held = movement_named(movements, b.back().movement);
            for (auto it = loose.rbegin(); held && it != loose.rend(); ++it) {
                const Movement* m = movement_named(movements, it->back().movement);
                const bool rounds = it->back().rounds > 1;
                if (!m || (it->size() > 1 && !rounds) || it->back().locked || !shares_part(*m, *held)) continue;
                PlanItem eases = it->back();
                eases.why = {{PlanReason::Code::eases, held->id, ""}};
                // It is loosening still, in its time and in its share; only its place is another. Of several rounds it is the last.
                if (rounds) {
                    eases.round = eases.rounds = 0;
                    it->pop_back();
                    if (!it->empty() && it->back().part == PlanPart::settling) it->pop_back(), rest_saved += settle_s;
                    for (auto& i : *it)
                        if (i.rounds > 0 && --i.rounds == 1) i.round = i.rounds = 0;
                }
                if (!rounds || it->empty()) loose.erase(std::next(it).base());
                b.push_back(std::move(eases));
                break;
            }
        }
    order_forms(blocks, movements, on(PlanRule::stages));
    if (frame) plan.items.push_back(stand(PlanPart::opening, quiet, quiet_version, 0));
    for (auto& l : loose)
        for (auto& i : l) plan.items.push_back(std::move(i));
    for (const auto& i : sequence) plan.items.push_back(i);
    for (auto& b : blocks) {
        for (auto& i : b) plan.items.push_back(std::move(i));
        if (on(PlanRule::settling)) plan.items.push_back(settling());
    }
    if (frame) {
        plan.items.push_back(stand(PlanPart::closing, quiet, quiet_version, 0));
        // The opening a little shorter than the closing.
        const double both = (*x)[static_cast<std::size_t>(stands)] + rest_saved;
        plan.items.front().practice_s = std::round(std::max(least, 0.45 * both));
        plan.items.back().practice_s = both - plan.items.front().practice_s;
    }
    for (const auto& id : needs.wanted)
        if (std::none_of(plan.items.begin(), plan.items.end(), [&](const PlanItem& i) { return i.movement == id; }) &&
            std::none_of(plan.left_out.begin(), plan.left_out.end(), [&](const LeftOut& l) { return l.movement == id; }))
            plan.left_out.push_back({id, LeftOut::Code::no_room});
    for (const auto& a : needs.asked)
        if (std::none_of(plan.items.begin(), plan.items.end(), [&](const PlanItem& i) { return i.movement == a.movement; }) &&
            std::none_of(plan.left_out.begin(), plan.left_out.end(), [&](const LeftOut& l) { return l.movement == a.movement; }))
            plan.left_out.push_back({a.movement, movement_named(movements, a.movement) ? LeftOut::Code::no_room : LeftOut::Code::unknown});
    // Only what somebody asked for is told as left out.
    std::erase_if(plan.left_out, [&](const LeftOut& l) {
        return !has(needs.wanted, l.movement) && !has(needs.practised, l.movement) && !has(needs.sequence, l.movement) &&
               std::none_of(needs.locked.begin(), needs.locked.end(), [&](const PlanItem& i) { return i.movement == l.movement; }) &&
               std::none_of(needs.asked.begin(), needs.asked.end(), [&](const AskedFor& a) { return a.movement == l.movement; });
    });
    std::vector<LeftOut> once; // each is said once
    for (const auto& l : plan.left_out)
        if (std::none_of(once.begin(), once.end(), [&](const LeftOut& o) { return o.movement == l.movement; })) once.push_back(l);
    plan.left_out = std::move(once);
    settle_plan(plan, movements);
    return plan;
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
