#include "core/movement/checks.h"
#include "core/movement/json_reader.h"
#include <cmath>

namespace bevel {
using namespace reading;

bool same_place(const FootTarget& a, const FootTarget& b) {
    return std::abs(a.x - b.x) < 1e-9 && std::abs(a.z - b.z) < 1e-9 && std::abs(a.toe_out - b.toe_out) < 1e-9;
}

namespace {

Check check(const json& j) {
    Check c;
    c.id = text(j, "id");
    c.rule = text(j, "rule");
    c.measure = text(j, "measure");
    c.side = text(j, "side", false);
    if (!c.side.empty()) pick<int>(c.side, {{"lead", 0}, {"rear", 1}, {"both", 2}}, "side");
    if (j.contains("phases"))
        for (const auto& p : part(j, "phases", json::value_t::array)) {
            if (!p.is_string()) throw Bad{"phases"};
            c.phases.push_back(p.get<std::string>());
        }
    std::tie(c.low, c.high) = band_from(j);
    if (j.contains("edge")) c.edge = number(j, "edge", 0, 0, 1000);
    c.summary = summary_from(text(j, "summary"));
    c.severity = severity_from(text(j, "severity"));
    c.good = text(j, "good", false);
    c.cue_low.usual = text(j, "cue_low", false);
    c.cue_high.usual = text(j, "cue_high", false);
    c.stack = {{BandLevel::movement, c.low, c.high, {}}};
    if (c.low && c.cue_low.empty()) throw Bad{c.id + " cue_low"};
    if (c.high && c.cue_high.empty()) throw Bad{c.id + " cue_high"};
    return c;
}

/// Roles of files that were written before phases had any.
std::string legacy_role(const std::string& id) {
    if (among(role_names(), id)) return id;
    for (const auto& [old, role] :
         {std::pair{"set", "land"}, {"shift", "transfer"}, {"sit_back", "return"}, {"draw", "lift"}, {"place", "close"}})
        if (id == old) return role;
    return {};
}

/// The checks that the rules make for a movement whose phases have roles.
std::vector<Check> checks_of(const Movement& m, const RuleBook& rules) {
    std::vector<Check> out;
    for (const auto& rule : rules.rules)
        for (const auto& rc : rule.checks) {
            if (!std::all_of(rc.needs.begin(), rc.needs.end(), [&](const std::string& n) { return among(m.needs, n); })) continue;
            std::map<std::string, std::vector<std::string>> by_stance;
            for (const auto& p : m.phases) {
                if (p.role.empty() || (!rc.roles.empty() && !among(rc.roles, p.role)) || among(rc.not_roles, p.role) ||
                    among(rc.not_stances, p.stance))
                    continue;
                if (!rc.stances.empty() && !rc.stances.contains(p.stance)) continue;
                by_stance[rc.stances.empty() ? std::string() : p.stance].push_back(p.id);
            }
            for (const auto& [stance, phases] : by_stance) {
                Check c = rc.check;
                if (phases.size() < m.phases.size()) c.phases = phases;
                if (!stance.empty()) {
                    const auto& step = rc.stances.at(stance);
                    c.low = step.low, c.high = step.high;
                    c.stack.push_back(step);
                    if (by_stance.size() > 1) c.id += "_" + stance;
                }
                for (auto& e : c.events)
                    for (const auto& p : m.phases)
                        if (among(e.roles, p.role)) e.phases.push_back(p.id);
                out.push_back(std::move(c));
            }
        }
    return out;
}

void set_band(Check& c, const BandChange& change, BandLevel level) {
    c.reason = change.reason;
    if (change.low || change.high) {
        if (change.low) c.low = change.low;
        if (change.high) c.high = change.high;
    }
    c.stack.push_back({level, c.low, c.high, change.reason});
}

/// Whether both feet stay where they are all the time.
bool feet_stay(const Movement& m) {
    auto stays = [](const FootTarget& a, const FootTarget& b) {
        return same_place(a, b) && a.heel_turn == b.heel_turn && a.ball_turn == b.ball_turn;
    };
    return std::all_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) {
        return stays(p.posture.left_foot, m.home.left_foot) && stays(p.posture.right_foot, m.home.right_foot);
    });
}
/// The same, in phases of the change's stance.
bool stands_in(const Movement& m, const BandChange& change) {
    return feet_stay(m) && std::all_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) { return p.stance == change.stance; });
}

bool planted(const Movement& m) {
    return feet_stay(m) && std::all_of(m.phases.begin(), m.phases.end(), [](const Phase& p) {
               return p.posture.left_foot.contact == Contact::flat && p.posture.right_foot.contact == Contact::flat;
           });
}

/// The reference figure as the change would have it.
void bend(Movement& m, const BandChange& change) {
    if (change.toe_out && stands_in(m, change)) {
        auto open = [&](Posture& p) { p.left_foot.toe_out = p.right_foot.toe_out = *change.toe_out; };
        for (auto& p : m.phases) open(p.posture);
        open(m.home);
    }
    auto shape = [&](Posture& p) {
        p.depth = std::clamp(p.depth + change.higher, 0.4, 1.0);
        p.left_foot.z *= change.step;
        p.right_foot.z *= change.step;
    };
    for (auto& p : m.phases) {
        const bool speaks = (change.stance.empty() || change.stance == p.stance) && (change.role.empty() || change.role == p.role) &&
                            (change.phases.empty() || among(change.phases, p.id));
        if (speaks && change.lean) p.posture.lean = *change.lean;
        if (speaks && change.weight) p.posture.weight_left = *change.weight;
        if (speaks) p.posture.forward += change.forward;
        if (speaks) p.posture.pelvis_turn *= change.pelvis;
        const bool comes_down = speaks && !change.lands.empty() && p.role == "reach" && p.posture.left_foot.contact != Contact::off;
        if (comes_down) p.posture.left_foot.contact = change.lands == "heel" ? Contact::heel : Contact::toe;
        // Feet and height run on from phase to phase: they are bent everywhere or nowhere.
        shape(p.posture);
    }
    shape(m.home);
}

/// One change to the checks it speaks of; where it speaks of some of their phases, these become a check of their own.
void apply_one(Movement& m, const BandChange& change, BandLevel level) {
    if (!change.kind.empty() && change.kind != m.kind) return;
    if (change.toe_out && !stands_in(m, change)) return; // it speaks of standing only
    if (change.planted && !planted(m)) return;
    if (!change.lands.empty() && std::none_of(m.checks.begin(), m.checks.end(), [&](const Check& c) { return c.id == change.check; }))
        return; // a way of setting the foot down, of the movements that ask for it
    // A way of stepping bends the movements that step so, and no others.
    const bool meant =
        change.stance.empty() || std::any_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) { return p.stance == change.stance; });
    if (change.bends() && meant) bend(m, change);
    if (!change.low && !change.high && !change.off && change.bends()) return;
    // What is written of a rule as a whole is written of its shape: the line beyond which it hurts is moved by name only.
    const std::vector<Check> before = m.checks;
    const auto beyond_shape = [&](const Check& c) {
        return change.check.empty() && c.severity == Severity::safety && std::any_of(before.begin(), before.end(), [&](const Check& o) {
                   return o.rule == c.rule && o.measure == c.measure && o.severity != Severity::safety;
               });
    };
    std::vector<Check> out;
    for (auto& c : m.checks) {
        const bool theirs = !beyond_shape(c) && (change.rule.empty() || change.rule == c.rule) &&
                            (change.measure.empty() || change.measure == c.measure) &&
                            (change.check.empty() || change.check == c.id || c.id.starts_with(change.check + "@"));
        // What a phase made its own stays against a school; a student's and a clip's band is the last word.
        const bool own = !c.stack.empty() && c.stack.back().level == BandLevel::phase && level <= BandLevel::school;
        if (!theirs || own) {
            out.push_back(std::move(c));
            continue;
        }
        std::vector<std::string> there, rest;
        for (const auto& p : m.phases) {
            if (!c.phases.empty() && !among(c.phases, p.id)) continue;
            const bool speaks = (change.stance.empty() || change.stance == p.stance) && (change.role.empty() || change.role == p.role) &&
                                (change.phases.empty() || among(change.phases, p.id));
            (speaks ? there : rest).push_back(p.id);
        }
        if (there.empty()) {
            out.push_back(std::move(c));
            continue;
        }
        if (!rest.empty()) {
            Check left = c;
            left.phases = rest;
            out.push_back(left);
            if (change.off) continue;
            c.id += "@" + there.front();
            c.phases = there;
        }
        if (change.off) continue;
        if (level >= BandLevel::student) {
            // What was agreed may only move the ends that the rule has: there is nothing to say beyond another.
            BandChange agreed = change;
            if (c.cue_low.empty()) agreed.low.reset();
            if (c.cue_high.empty()) agreed.high.reset();
            // An end is opened as long as the other one still stands; what has none left is not judged. Safety has no open end.
            const bool opens = (change.open_low || change.open_high) && c.severity != Severity::safety;
            if (opens && change.open_low) c.low.reset();
            if (opens && change.open_high) c.high.reset();
            if (!c.low && !c.high && !agreed.low && !agreed.high) continue;
            if (change.stricter) c.severity = Severity::safety;
            set_band(c, agreed, level);
            out.push_back(std::move(c));
            continue;
        }
        set_band(c, change, level);
        if ((c.low && c.cue_low.empty()) || (c.high && c.cue_high.empty())) throw Bad{c.id + ": no cue for the band"};
        out.push_back(std::move(c));
    }
    m.checks = std::move(out);
}

} // namespace

void make_checks(Movement& m, const json& j, const RuleBook& rules) {
    const bool roles = std::any_of(m.phases.begin(), m.phases.end(), [](const Phase& p) { return !p.role.empty(); });
    if (roles) m.checks = checks_of(m, rules);
    for (const auto& change : m.bands) apply_one(m, change, BandLevel::movement);
    if (!roles) // a file of its own checks alone
        for (auto& p : m.phases) p.role = legacy_role(p.id);
    if (j.contains("checks") || !roles)
        for (const auto& c : part(j, "checks", json::value_t::array)) {
            Check own = check(c);
            if (!unit_of_measure(rules, own.measure)) throw Bad{"check " + own.id + ": measure '" + own.measure + "' is not known"};
            if (!rules.find(own.rule)) throw Bad{"check " + own.id + ": rule '" + own.rule + "' is not known"};
            for (const auto& id : own.phases)
                if (std::none_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) { return p.id == id; }))
                    throw Bad{"check " + own.id + ": no phase '" + id + "'"};
            std::erase_if(m.checks, [&](const Check& k) {
                return k.stack.front().level == BandLevel::rule && k.rule == own.rule && k.measure == own.measure && k.side == own.side;
            });
            m.checks.push_back(std::move(own));
        }
    for (const auto& ph : m.phases)
        for (auto e : ph.exceptions) {
            e.phases = {ph.id};
            apply_one(m, e, BandLevel::phase);
        }
}

bool same_but_for_bands(const Movement& a, const Movement& b) {
    const auto phase = [](const Phase& x, const Phase& y) {
        return x.id == y.id && x.role == y.role && x.stance == y.stance && x.duration_s == y.duration_s && x.breath == y.breath &&
               x.ease == y.ease && x.pause == y.pause && x.ends_at == y.ends_at && x.posture == y.posture;
    };
    const auto check = [](const Check& x, const Check& y) {
        return x.id == y.id && x.rule == y.rule && x.measure == y.measure && x.form == y.form && x.side == y.side && x.phases == y.phases &&
               x.reference == y.reference && x.by_lead == y.by_lead && x.size == y.size && x.summary == y.summary;
    };
    return a.id == b.id && a.home == b.home && std::equal(a.phases.begin(), a.phases.end(), b.phases.begin(), b.phases.end(), phase) &&
           std::equal(a.checks.begin(), a.checks.end(), b.checks.begin(), b.checks.end(), check);
}

void apply(Movement& movement, const std::vector<BandChange>& list, BandLevel level) {
    for (const auto& change : list) {
        Movement before = movement;
        try {
            apply_one(movement, change, level);
        } catch (const Bad&) { // a band without a cue to say it: the movement keeps its own
            movement = std::move(before);
        }
    }
}

namespace {

/// What a file says of phases that are not done is taken out of it.
json without_phases(json j, const Movement& m) {
    const auto there = [&](const std::string& id) {
        return std::any_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) { return p.id == id; });
    };
    for (const char* of : {"checks", "bands"}) {
        if (!j.contains(of)) continue;
        json rest = json::array();
        for (json x : j[of]) {
            if (x.contains("phases") && !x["phases"].empty()) {
                json ids = json::array();
                for (const auto& id : x["phases"])
                    if (there(id.get<std::string>())) ids.push_back(id);
                if (ids.empty()) continue;
                x["phases"] = ids;
            }
            rest.push_back(std::move(x));
        }
        j[of] = rest;
    }
    return j;
}

} // namespace

Result<Movement> with_phases(const Movement& of, const Posture& stand, const Posture& home, std::vector<Phase> phases) {
    if (!of.source || phases.empty()) return fail(Code::bad_value, of.id);
    Movement m = of;
    m.stand = stand;
    m.home = home;
    m.phases = std::move(phases);
    m.recorded.reset();
    const bool returns = std::any_of(m.phases.begin(), m.phases.end(), [](const Phase& p) { return p.role == "return"; });
    // Coming back is asked of who goes out from there.
    const auto apart = [](const FootTarget& a, const FootTarget& b) { return std::hypot(a.x - b.x, a.z - b.z) > 0.05; };
    const auto moved = [&](const Posture& p) { return apart(p.left_foot, home.left_foot) || apart(p.right_foot, home.right_foot); };
    if (!returns || moved(m.phases.back().posture)) std::erase(m.needs, "returns");
    return guarded(*of.source, [&](const json& j) {
        m.checks.clear();
        make_checks(m, without_phases(j, m), rule_book());
        return m;
    });
}

} // namespace bevel
