#include "core/practice/plan.h"
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

/// The gentler version of a movement by its name; empty where there is none.
std::string version_of(const Movement& m, std::initializer_list<const char*> names) {
    for (const char* n : names)
        for (const auto& v : m.versions)
            if (v.name == n) return v.name;
    return {};
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
constexpr double drill_share = 0.7; // of its movement's own time a repeat, a drill takes
constexpr int sequence_times = 1;   // a side, at each step of its growth
constexpr int nodes = 4000;         // of the search; not a time, so that it is repeatable

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
};

/// Everything that is asked while a plan is made.
struct Making {
    const Needs& needs;
    const std::vector<Movement>& movements;
    const PlanRules& rules;
    std::vector<Choice> choices;
    std::vector<LeftOut> left_out;

    bool on(PlanRule r) const { return rules[static_cast<std::size_t>(r)]; }

    /// Why a movement has no place today; nothing where it has. `item` gets the gentler version that lets it stay.
    std::optional<LeftOut::Code> barred(const Movement& m, const Traits& t, PlanItem& item) const {
        using C = LeftOut::Code;
        if (t.stick && !needs.stick) return C::no_stick;
        if (on(PlanRule::today) && needs.careful()) {
            if (t.overhead) {
                item.version = version_of(m, {"To the brow"});
                if (item.version.empty()) return C::overhead_today;
            }
            if (t.balance) return C::balance_today;
            if (needs.dizzy && (t.bends || t.twists)) return C::care;
        }
        if (on(PlanRule::limits)) {
            const auto limit = [&](const char* name) { return needs.limits.contains(name); };
            if (limit("seated") && !t.seated) {
                if (t.overhead && !item.version.empty()) return C::overhead_today; // seated it goes overhead
                item.version = version_of(m, {"Seated"});
                if (item.version.empty() && !t.stand) return C::limit;
            }
            if (!limit("seated") && t.seated) return C::limit;
            if (limit("no_overhead") && t.overhead && item.version != "Seated") {
                item.version = version_of(m, {"To the brow"});
                if (item.version.empty()) return C::limit;
            }
            if (limit("no_overhead") && t.overhead && item.version == "Seated") return C::limit;
            if (limit("no_balance") && t.balance) return C::limit;
            if (limit("no_bends") && t.bends) return C::limit;
            if (limit("no_twists") && t.twists) return C::limit;
            if (limit("high_stance") && t.stage() > 0 && item.version.empty()) {
                item.version = version_of(m, {"High stance", "Small", "A hand's width"});
                if (item.version.empty() && t.stage() > 1) return C::limit; // a middle one without a name for it is done higher
            }
            if (needs.care.contains("neck") && m.id == "look_behind") return C::care;
            if (needs.care.contains("low_back") && (t.bends || m.id == "spine_wave")) return C::care;
            if (needs.care.contains("shoulders") && t.overhead) return C::care;
            if (needs.care.contains("knees") && (t.stage() > 1 || m.asks_knees > 2)) return C::care;
        }
        if (on(PlanRule::steadier) && t.balance) {
            if (!needs.chair && !needs.wall) return C::no_support;
            item.support = true;
            item.ladder = balance_step_of(needs.balance_step, needs.helper);
            item.first_side = needs.steadier;
            if (const auto v = version_of(m, {"With a chair", "Hand on a chair"});
                !v.empty() && item.version.empty() && needs.chair && item.ladder <= static_cast<int>(BalanceStep::fingertips))
                item.version = v;
        }
        // As the person is taught it, where nothing of today asks for another way.
        if (const auto v = needs.versions.find(m.id); v != needs.versions.end() && item.version.empty()) item.version = v->second;
        return std::nullopt;
    }

    double value_of(const Movement& m, const Traits& t, std::vector<PlanReason>& why) const {
        using C = PlanReason::Code;
        double v = t.loosening ? 3 : 6;
        // Somebody practises what is known; with limits or on a bad day what asks little of the knees.
        if (!t.loosening && !needs.practised.empty() && !has(needs.practised, m.id)) v = 3;
        if (!needs.limits.empty() || !needs.care.empty() || needs.careful()) v -= 1.2 * std::max(0, m.asks_knees - 1);
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
        choices.push_back(std::move(c));
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
            if (const auto why = barred(m, t, item)) {
                left_out.push_back({m.id, *why});
                continue;
            }
            std::vector<PlanReason> why;
            const double value = value_of(m, t, why);
            item.why = why;
            const AskedFor* asked = nullptr;
            for (const auto& a : needs.asked)
                if (a.movement == m.id) asked = &a;
            const auto put = [&](int left, int right, int times, int holds, double hold, double more) {
                Choice c{item, &m, t, value + more, false, -1};
                c.item.left = left, c.item.right = right, c.item.times = times, c.item.holds = holds, c.item.hold_s = hold;
                add(std::move(c));
            };
            if (t.hold) {
                const double hold = asked && asked->hold_s > 0 ? asked->hold_s : usual_hold_s;
                for (int n = 1; n <= 3; ++n) put(0, 0, 0, n, hold, n);
            } else if (t.sided) {
                const int side = asked && asked->a_side > 0 ? asked->a_side : usual_side;
                put(side, side, 0, 0, 0, 0);
                if (!on(PlanRule::even)) put(side + 1, side, 0, 0, 0, 0.5), put(side, side + 2, 0, 0, 0, 0.7);
            } else {
                put(0, 0, usual_all, 0, 0, 0);
                if (!on(PlanRule::even)) put(0, 0, usual_all + 3, 0, 0, 0.5);
            }
            // The drill that isolates what was asked, before the whole; not where the movement itself has to be gentler today.
            if (asked && (item.version.empty() || t.balance))
                if (const Drill* d = drill_of(m, *asked)) {
                    Choice c{item, &m, t, 4, true, -1};
                    c.item.part = PlanPart::drill;
                    c.item.drill = d->name;
                    c.item.version.clear();
                    c.item.why = {{PlanReason::Code::drill_for, m.id, ""}};
                    t.sided ? (c.item.left = usual_side, c.item.right = usual_side) : c.item.times = usual_all;
                    if (t.hold) c.item.times = 0, c.item.holds = 1, c.item.hold_s = usual_hold_s;
                    add(std::move(c));
                }
        }
    }

    /// A sequence grown movement by movement, with its joins alone: (1), (2), join 1–2, 1–2, (3) …
    std::vector<PlanItem> grown() const {
        std::vector<PlanItem> out;
        std::vector<std::string> known;
        for (const auto& id : needs.sequence)
            if (movement_named(movements, id)) known.push_back(id);
        if (known.size() < 2) return out;
        const auto item = [&](PlanPart part, std::vector<std::string> ids) {
            PlanItem i;
            i.part = part;
            i.movement = ids.front();
            i.sequence = std::move(ids);
            i.left = i.right = part == PlanPart::join ? 2 : sequence_times;
            i.why = {{PlanReason::Code::grows, "", ""}};
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

PlanItem stand(PlanPart part, const std::string& id, double seconds) {
    PlanItem i;
    i.part = part;
    i.movement = id;
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

/// Loosening: large joints first, twists after; within that what asks more of balance later.
void order_loosening(std::vector<Block>& blocks, const std::vector<Movement>& movements, bool large_first) {
    const auto key = [&](const Block& b) {
        const Movement* m = movement_named(movements, b.back().movement);
        const Traits t = m ? traits_of(*m) : Traits{};
        return std::tuple(large_first ? static_cast<int>(t.twists) : 0, large_first ? static_cast<int>(t.bends) : 0, b.back().movement);
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
    t.balance = m.asks_balance >= 2;
    t.overhead = has(m.cautions, "overhead");
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
    std::string quiet;
    for (const auto& m : movements)
        if (traits_of(m).stand && quiet.empty()) quiet = m.id;
    make.choose_from();
    const auto sequence = make.grown();
    std::vector<PlanItem> fixed;
    for (auto i : needs.locked) {
        if (i.part == PlanPart::opening || i.part == PlanPart::closing || i.part == PlanPart::settling) continue;
        i.locked = true;
        i.why = {{PlanReason::Code::kept, "", ""}};
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
        time.emplace_back(c.column, c.item.seconds());
        count.emplace_back(c.column, 1);
        if (c.item.part == PlanPart::loosening) loosening.emplace_back(c.column, c.item.seconds());
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
        lp.row(count, -endless,
               std::max(2.0, std::floor(needs.minutes / minutes_a_thing)) -
                   (static_cast<double>(fixed.size()) + 0.5 * static_cast<double>(sequence.size())));
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
            b.push_back(std::move(i));
            loose.push_back(std::move(b));
            continue;
        }
        b.push_back(c->item);
        blocks.push_back(std::move(b));
    }
    order_loosening(loose, movements, on(PlanRule::large_first));
    // The last of what eases a hold stands after it.
    if (on(PlanRule::easing))
        for (auto& b : blocks) {
            if (b.back().holds == 0) continue;
            const Movement* held = movement_named(movements, b.back().movement);
            for (auto it = loose.rbegin(); held && it != loose.rend(); ++it) {
                const Movement* m = movement_named(movements, it->back().movement);
                if (!m || it->size() > 1 || it->back().locked || !shares_part(*m, *held)) continue;
                PlanItem eases = it->back();
                eases.why = {{PlanReason::Code::eases, held->id, ""}};
                // It is loosening still, in its time and in its share; only its place is another.
                loose.erase(std::next(it).base());
                b.push_back(std::move(eases));
                break;
            }
        }
    order_forms(blocks, movements, on(PlanRule::stages));
    if (frame) plan.items.push_back(stand(PlanPart::opening, quiet, 0));
    for (auto& l : loose)
        for (auto& i : l) plan.items.push_back(std::move(i));
    for (const auto& i : sequence) plan.items.push_back(i);
    for (auto& b : blocks) {
        for (auto& i : b) plan.items.push_back(std::move(i));
        if (on(PlanRule::settling)) plan.items.push_back(settling());
    }
    if (frame) {
        plan.items.push_back(stand(PlanPart::closing, quiet, 0));
        // The opening a little shorter than the closing.
        const double both = (*x)[static_cast<std::size_t>(stands)];
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
            plan.left_out.push_back({a.movement, LeftOut::Code::no_room});
    // Only what somebody asked for is told as left out.
    std::erase_if(plan.left_out, [&](const LeftOut& l) {
        return !has(needs.wanted, l.movement) && !has(needs.practised, l.movement) &&
               std::none_of(needs.asked.begin(), needs.asked.end(), [&](const AskedFor& a) { return a.movement == l.movement; });
    });
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
    const PlanRules all = all_plan_rules();
    const Making make{needs, movements, all, {}, {}};
    int before = 0;
    bool twisted = false;
    std::set<std::string> drilled;
    for (std::size_t n = 0; n < plan.items.size(); ++n) {
        const auto& i = plan.items[n];
        const Movement* m = movement_named(movements, i.movement);
        if (!m || i.part == PlanPart::settling || i.part == PlanPart::opening || i.part == PlanPart::closing) continue;
        const Traits t = traits_of(*m);
        if (i.left != i.right) out.push_back({PlanRule::even, n});
        PlanItem gentle = i;
        gentle.version.clear();
        if (const auto why = make.barred(*m, t, gentle); why && i.sequence.empty())
            out.push_back({*why == LeftOut::Code::overhead_today || *why == LeftOut::Code::balance_today ? PlanRule::today
                           : *why == LeftOut::Code::no_support                                           ? PlanRule::steadier
                                                                                                         : PlanRule::limits,
                           n});
        else if (!gentle.version.empty() && i.version != gentle.version && i.drill.empty() && i.sequence.empty() && !t.balance)
            out.push_back({PlanRule::limits, n});
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
