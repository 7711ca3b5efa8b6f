// The integer programme behind a proposed session, and its order.
#include "core/form/pieces.h"
#include "core/practice/making.h"
#include "core/practice/programme.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <set>

namespace bevel {
namespace {

constexpr int nodes = 4000;       // of the search
constexpr double form_things = 2; // a form that grows, against other things in a session

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

class Proposal {
public:
    Proposal(const Needs& needs, const std::vector<Movement>& movements, const PlanRules& rules)
        : needs_(needs), movements_(movements), make_{needs, movements, rules, {}, {}}, all_s_(needs.minutes * 60) {}

    Result<Plan> run() {
        for (const auto& m : movements_)
            if (traits_of(m).stand && quiet_.empty()) quiet_ = m.id, quiet_version_ = make_.gate(m).version;
        frame_ = on(PlanRule::frame) && !quiet_.empty();
        make_.choose_from();
        keep_locked();
        if (!grow()) return fail(Code::bad_value, "locked");
        rows_of_time();
        rows_of_loosening();
        rows_of_large_joints();
        rows_of_twins();
        rows_of_the_day();
        for (const auto& m : movements_) rows_of_one(m);
        rows_of_stages();
        columns_of_parts();
        const auto x = lp_.best(nodes);
        if (!x) return fail(Code::bad_value, "locked");
        plan_.minutes = needs_.minutes;
        plan_.pace = needs_.pace;
        plan_.breath_s = needs_.breath_s;
        plan_.left_out = make_.left_out;
        take_blocks(*x);
        order_loosening(loose_, movements_, on(PlanRule::large_first));
        if (on(PlanRule::easing))
            for (auto& b : blocks_) ease(b);
        order_forms(blocks_, movements_, on(PlanRule::stages));
        lay_out(*x);
        say_left_out();
        settle_plan(plan_, movements_);
        return std::move(plan_);
    }

private:
    bool on(PlanRule r) const { return make_.on(r); }

    void keep_locked() {
        for (auto i : needs_.locked) {
            if (i.part == PlanPart::opening || i.part == PlanPart::closing || i.part == PlanPart::settling) continue;
            i.why.clear();
            // What was kept passes the gate as well: in an easier version where there is one.
            if (const auto why = on(PlanRule::limits) ? barred(i, needs_, movements_) : std::nullopt) {
                const Movement* m = movement_named(movements_, i.movement);
                const Pass way = m && i.sequence.empty() && i.drill.empty() ? make_.gate(*m, i.version) : Pass{why, {}, false, 0, {}};
                if (way.barred) {
                    make_.left_out.push_back({i.movement, *why});
                    continue;
                }
                make_.use(i, way);
            }
            i.locked = true;
            i.why.insert(i.why.begin(), {PlanReason::Code::kept, "", ""});
            fixed_.push_back(std::move(i));
        }
        for (const auto& i : fixed_) {
            fixed_s_ += i.seconds();
            i.part == PlanPart::loosening ? fixed_loosening_ += i.seconds() : fixed_forms_ += i.part == PlanPart::form;
        }
    }

    /// As many steps of the form as there is time for beside the loosening and the ends; what is beyond that is said.
    void grow_form() {
        const double room = all_s_ - fixed_s_ - (on(PlanRule::frame) ? 2 * stand_least_s : 0) -
                            (on(PlanRule::loosening) ? (needs_.minutes <= short_session_min ? 0.35 : 0.2) * all_s_ : 0);
        double used = 0;
        bool full = false;
        for (const auto& step : make_.form_steps()) {
            double s = 0;
            for (const auto& i : step) s += i.seconds();
            if (full || used + s > room) {
                if (!full) make_.left_out.push_back({step.back().movement, LeftOut::Code::no_room});
                full = true;
                continue;
            }
            used += s;
            sequence_.insert(sequence_.end(), step.begin(), step.end());
        }
        fixed_s_ += used;
    }

    /// False where what is to stay is longer than the time at hand.
    bool grow() {
        if (needs_.form) {
            grow_form();
            return fixed_s_ + (on(PlanRule::frame) ? 2 * stand_least_s : 0) <= all_s_;
        }
        // A sequence grows as far as there is time for it; what is beyond that is said.
        const double kept_s = fixed_s_, ends_s = on(PlanRule::frame) ? 2 * stand_least_s : 0;
        const auto already_out = make_.left_out;
        for (std::size_t most = needs_.sequence.size();; --most) {
            make_.left_out = already_out;
            sequence_ = make_.grown(most < 2 && needs_.sequence.size() > 1 ? 0 : most);
            fixed_s_ = kept_s;
            for (const auto& i : sequence_) fixed_s_ += i.seconds();
            if (fixed_s_ + ends_s <= all_s_ || most < 2) break;
        }
        return fixed_s_ + ends_s <= all_s_;
    }

    void rows_of_time() {
        // Quiet stands at both ends take up what is left, within what is sensible; beyond that it is said that time is left.
        least_ = frame_ ? std::min(stand_least_s, all_s_ * 0.12) : 0;
        stands_ = lp_.column(frame_ ? 2 * least_ : 0, frame_ ? 2 * stand_most_s : 0, -0.02, false);
        const int spare = lp_.column(0, all_s_, -0.6, false);
        const int over = lp_.column(0, on(PlanRule::time) ? 0 : 240, -0.001, false); // too long, where that is not looked at
        Terms time{{stands_, 1}, {spare, 1}, {over, -1}}, settles;
        for (auto& c : make_.choices) {
            c.column = lp_.column(0, 1, c.value, true);
            time.emplace_back(c.column, c.seconds);
            if (!c.is_drill) count_.emplace_back(c.column, 1); // a drill with its movement is one thing
            if (c.item.part == PlanPart::loosening)
                loosening_.emplace_back(c.column, c.seconds - std::max(0, c.item.rounds - 1) * settle_s);
            if (c.item.part == PlanPart::form && on(PlanRule::settling)) settles.emplace_back(c.column, settle_s);
        }
        for (const auto& s : settles) time.push_back(s);
        const double fixed_settling = on(PlanRule::settling) ? settle_s * fixed_forms_ : 0;
        lp_.row(time, all_s_ - fixed_s_ - fixed_settling, all_s_ - fixed_s_ - fixed_settling);
    }

    void rows_of_loosening() {
        // Loosening: a band in a short session, a wider one in a long. What cannot be kept costs dearly.
        if (on(PlanRule::loosening)) {
            const double low = needs_.minutes <= short_session_min ? 0.35 : 0.2, high = 0.4;
            const int under = lp_.column(0, endless, -4, false), above = lp_.column(0, endless, -4, false);
            auto from = loosening_, to = loosening_;
            from.emplace_back(under, 1);
            to.emplace_back(above, -1);
            lp_.row(from, low * all_s_ - fixed_loosening_, endless);
            lp_.row(to, -endless, high * all_s_ - fixed_loosening_);
        }
        if (on(PlanRule::few))
            lp_.row(
                count_, -endless,
                std::max(2.0, most_things(needs_.minutes) - (static_cast<double>(fixed_.size()) +
                                                             (needs_.form ? form_things : 0.5 * static_cast<double>(sequence_.size())))));
    }

    void rows_of_large_joints() {
        // Large joints are loosened too, not twists alone.
        if (on(PlanRule::large_first)) {
            Terms twists, large;
            for (const auto& c : make_.choices)
                if (c.traits.loosening && !c.is_drill) (c.traits.twists ? twists : large).emplace_back(c.column, 1);
            if (!large.empty())
                for (const auto& t : twists) {
                    auto row = large;
                    row.emplace_back(t.first, -1);
                    lp_.row(row, 0, endless);
                }
        }
    }

    void rows_of_twins() {
        // Twins stand in for each other, unless both were asked for.
        for (const auto& a : make_.choices)
            for (const auto& b : make_.choices)
                if (!a.is_drill && !b.is_drill && b.movement->twin_of == a.movement->id &&
                    !(make_.named(a.movement->id) && make_.named(b.movement->id)))
                    lp_.row({{a.column, 1}, {b.column, 1}}, -endless, 1);
    }

    void rows_of_the_day() {
        // On a careful day at most one thing brings the head down; little is new on any day.
        Terms bends, fresh;
        std::set<std::string> named_bends;
        for (const auto& c : make_.choices) {
            if (c.is_drill) continue;
            if (asks_of(*c.movement, c.item.version).head_low > 0) {
                bends.emplace_back(c.column, 1);
                if (make_.named(c.movement->id)) named_bends.insert(c.movement->id);
            }
            if (!needs_.practised.empty() && !make_.asked_for(c.movement->id) && !c.traits.loosening) fresh.emplace_back(c.column, 1);
        }
        // One thing in a short session that brings the head down, two in a longer one; more only by name, and not on a careful day.
        const double usual = needs_.minutes > short_session_min ? 2 : 1;
        lp_.row(bends, -endless, on(PlanRule::today) && needs_.careful() ? 1 : std::max(usual, static_cast<double>(named_bends.size())));
        if (on(PlanRule::few) && !fresh.empty()) { // more only where what was asked for needs_ it before or after
            fresh.emplace_back(lp_.column(0, endless, -15, false), -1);
            lp_.row(fresh, -endless, std::max(1.0, std::floor(most_things(needs_.minutes) / 4)));
        }
    }

    /// One way a movement; a movement only with its drill; what stages it brings; what it asks of the body loosened before.
    void rows_of_one(const Movement& m) {
        Terms ways, drills;
        for (const auto& c : make_.choices)
            if (c.movement == &m) (c.is_drill ? drills : ways).emplace_back(c.column, 1);
        if (ways.empty()) return;
        lp_.row(ways, 0, 1);
        if (!drills.empty()) {
            auto both = drills; // no drill without its movement after it
            for (const auto& w : ways) both.emplace_back(w.first, -1);
            lp_.row(both, -endless, 0);
            if (on(PlanRule::drill_first)) {
                auto before = ways; // and no movement without its drill
                for (const auto& d : drills) before.emplace_back(d.first, -1);
                lp_.row(before, -endless, 0);
            }
        }
        const Traits t = traits_of(m);
        if (!t.form) return;
        const auto& first =
            std::find_if(make_.choices.begin(), make_.choices.end(), [&](const Choice& c) { return c.movement == &m; })->item;
        const int stage = stage_of(first, movements_);
        if (stage == 1)
            for (const auto& w : ways) middle_.push_back(w);
        if (stage == 2)
            for (const auto& w : ways) low_ones_.push_back(w);
        rows_before_and_after(m, t, ways);
    }

    void rows_before_and_after(const Movement& m, const Traits& t, const Terms& ways) {
        if (on(PlanRule::prepared) && !m.trains.empty()) {
            auto row = ways;
            bool fixed_does = false;
            for (const auto& c : make_.choices)
                if (c.traits.loosening && !c.is_drill && shares_part(*c.movement, m)) row.emplace_back(c.column, -1);
            for (const auto& f : fixed_)
                if (const Movement* x = movement_named(movements_, f.movement))
                    fixed_does = fixed_does || (traits_of(*x).loosening && shares_part(*x, m));
            if (!fixed_does) lp_.row(row, -endless, 0);
        }
        if (on(PlanRule::easing) && t.hold) {
            auto row = ways; // eased by something light for the same part that is not the loosening already used up: one more of them
            for (const auto& c : make_.choices)
                if (c.traits.loosening && !c.is_drill && shares_part(*c.movement, m)) row.emplace_back(c.column, -0.5);
            lp_.row(row, -endless, 0);
        }
    }

    /// A low stance only between two middle ones.
    void rows_of_stages() {
        if (on(PlanRule::stages))
            for (const auto& l : low_ones_) {
                Terms row{{l.first, 2}};
                for (const auto& mid : middle_) row.emplace_back(mid.first, -1);
                lp_.row(row, -endless, 0);
            }
    }

    void columns_of_parts() {
        // Many parts of the body rather than one.
        for (const char* p : {"legs", "waist", "spine", "shoulders", "balance", "breath"}) {
            const int touched = lp_.column(0, 1, 5, false);
            Terms row{{touched, 1}};
            for (const auto& c : make_.choices)
                if (has(c.movement->trains, p)) row.emplace_back(c.column, -1);
            lp_.row(row, -endless, 0);
        }
    }

    /// What was chosen, as blocks: drill, rounds, rests.
    void take_blocks(const std::vector<double>& x) {
        for (const auto& c : make_.choices)
            if (x[static_cast<std::size_t>(c.column)] > 0.5) taken_.push_back(&c);
        for (const auto& f : fixed_) (f.part == PlanPart::loosening ? loose_ : blocks_).push_back({f});
        for (const auto* c : taken_) {
            if (c->is_drill) continue;
            Block b;
            for (const auto* d : taken_)
                if (d->is_drill && d->movement == c->movement) b.push_back(d->item);
            if (c->item.part == PlanPart::loosening) {
                PlanItem i = c->item;
                say_what_for(i, *c->movement);
                add_rounds(b, std::move(i));
                loose_.push_back(std::move(b));
                continue;
            }
            add_rounds(b, c->item);
            blocks_.push_back(std::move(b));
        }
    }

    void say_what_for(PlanItem& i, const Movement& movement) const {
        for (const auto* form : taken_) // "hip circles, because the side bend asks for them"
            if (form->item.part == PlanPart::form && shares_part(movement, *form->movement)) {
                const auto& parts = movement.trains;
                const auto part =
                    std::find_if(parts.begin(), parts.end(), [&](const std::string& p) { return has(form->movement->trains, p); });
                i.why.push_back({PlanReason::Code::prepares, form->item.movement, *part});
                break;
            }
    }

    /// The last of what eases a hold stands after it.
    void ease(Block& b) {
        if (b.back().holds == 0) return;
        const Movement* held = movement_named(movements_, b.back().movement);
        for (auto it = loose_.rbegin(); held && it != loose_.rend(); ++it) {
            const Movement* m = movement_named(movements_, it->back().movement);
            const bool rounds = it->back().rounds > 1;
            if (!m || (it->size() > 1 && !rounds) || it->back().locked || !shares_part(*m, *held)) continue;
            PlanItem eases = it->back();
            eases.why = {{PlanReason::Code::eases, held->id, ""}};
            // It is loosening still, in its time and in its share; only its place is another. Of several rounds it is the last.
            if (rounds) {
                eases.round = eases.rounds = 0;
                it->pop_back();
                if (!it->empty() && it->back().part == PlanPart::settling) it->pop_back(), rest_saved_ += settle_s;
                for (auto& i : *it)
                    if (i.rounds > 0 && --i.rounds == 1) i.round = i.rounds = 0;
            }
            if (!rounds || it->empty()) loose_.erase(std::next(it).base());
            b.push_back(std::move(eases));
            break;
        }
    }

    void lay_out(const std::vector<double>& x) {
        if (frame_) plan_.items.push_back(stand(PlanPart::opening, quiet_, quiet_version_, 0));
        for (auto& l : loose_)
            for (auto& i : l) plan_.items.push_back(std::move(i));
        for (const auto& i : sequence_) plan_.items.push_back(i);
        for (auto& b : blocks_) {
            for (auto& i : b) plan_.items.push_back(std::move(i));
            if (on(PlanRule::settling)) plan_.items.push_back(settling());
        }
        if (frame_) {
            plan_.items.push_back(stand(PlanPart::closing, quiet_, quiet_version_, 0));
            // The opening a little shorter than the closing.
            const double both = x[static_cast<std::size_t>(stands_)] + rest_saved_;
            plan_.items.front().practice_s = std::round(std::max(least_, 0.45 * both));
            plan_.items.back().practice_s = both - plan_.items.front().practice_s;
        }
    }

    /// What was asked for and has no place; each is said once, and only what somebody asked for.
    void say_left_out() {
        for (const auto& id : needs_.wanted)
            if (std::none_of(plan_.items.begin(), plan_.items.end(), [&](const PlanItem& i) { return i.movement == id; }) &&
                std::none_of(plan_.left_out.begin(), plan_.left_out.end(), [&](const LeftOut& l) { return l.movement == id; }))
                plan_.left_out.push_back({id, LeftOut::Code::no_room});
        for (const auto& a : needs_.asked)
            if (std::none_of(plan_.items.begin(), plan_.items.end(), [&](const PlanItem& i) { return i.movement == a.movement; }) &&
                std::none_of(plan_.left_out.begin(), plan_.left_out.end(), [&](const LeftOut& l) { return l.movement == a.movement; }))
                plan_.left_out.push_back(
                    {a.movement, movement_named(movements_, a.movement) ? LeftOut::Code::no_room : LeftOut::Code::unknown});
        // Only what somebody asked for is told as left out.
        std::erase_if(plan_.left_out, [&](const LeftOut& l) {
            return !PieceId::read(l.movement) && !has(needs_.wanted, l.movement) && !has(needs_.practised, l.movement) &&
                   !has(needs_.sequence, l.movement) &&
                   std::none_of(needs_.locked.begin(), needs_.locked.end(), [&](const PlanItem& i) { return i.movement == l.movement; }) &&
                   std::none_of(needs_.asked.begin(), needs_.asked.end(), [&](const AskedFor& a) { return a.movement == l.movement; });
        });
        std::vector<LeftOut> once; // each is said once
        for (const auto& l : plan_.left_out)
            if (std::none_of(once.begin(), once.end(), [&](const LeftOut& o) { return o.movement == l.movement; })) once.push_back(l);
        plan_.left_out = std::move(once);
    }

    const Needs& needs_;
    const std::vector<Movement>& movements_;
    Making make_;
    Programme lp_;
    Plan plan_;
    std::string quiet_, quiet_version_; // of the stands at both ends
    bool frame_ = false;
    double all_s_, fixed_s_ = 0, fixed_loosening_ = 0, least_ = 0, rest_saved_ = 0;
    int fixed_forms_ = 0, stands_ = -1;
    std::vector<PlanItem> fixed_, sequence_;
    Terms loosening_, count_, middle_, low_ones_;
    std::vector<const Choice*> taken_;
    std::vector<Block> loose_, blocks_;
};

} // namespace

Result<Plan> propose(const Needs& needs, const std::vector<Movement>& movements, const PlanRules& rules) {
    if (!(needs.minutes >= 4 && needs.minutes <= 180)) return fail(Code::bad_value, "minutes");
    if (!(needs.pace >= 0.5 && needs.pace <= 3)) return fail(Code::bad_value, "pace");
    return Proposal(needs, movements, rules).run();
}

} // namespace bevel
