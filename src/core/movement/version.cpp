// A graded version of a movement as a movement of its own: the figure's postures are changed, and the rules make its checks anew.
#include "core/movement/movement.h"
#include "core/movement/solver.h"
#include <algorithm>
#include <cmath>
#include <mutex>
#include <nlohmann/json.hpp>
#include <set>

namespace bevel {

using nlohmann::json;

/// Made when it is first asked for; copies of a movement share it.
struct Version::Made {
    std::once_flag once;
    std::optional<Movement> movement; // none where the change cannot be made
};

namespace {

using Feet = VersionChange::Feet;
constexpr double hip_wide = 0.42, shoulder_wide = 0.5; // ankles from the middle, SW

double between(double from, double to, double share) {
    return from + share * (to - from);
}

HandTarget hand_between(const HandTarget& from, const HandTarget& to, double share) {
    HandTarget h = to; // keeps its level
    h.x = between(from.x, to.x, share);
    set_hand_height(h, between(hand_height(from), hand_height(to), share));
    h.z = between(from.z, to.z, share);
    h.drop = between(from.drop, to.drop, share);
    return h;
}

/// Everything but the feet's places, the weight and what the hands hold, so far from home as `share` says.
void less(Posture& p, const Posture& home, double share) {
    for (double Posture::*of :
         {&Posture::depth, &Posture::pelvis_turn, &Posture::shoulder_turn, &Posture::lean, &Posture::side, &Posture::gaze_turn,
          &Posture::gaze_pitch, &Posture::forward, &Posture::low_back, &Posture::upper_back, &Posture::neck})
        p.*of = between(home.*of, p.*of, share);
    for (FootTarget Posture::*of : {&Posture::left_foot, &Posture::right_foot}) {
        auto& foot = p.*of;
        foot.heel_turn = between((home.*of).heel_turn, foot.heel_turn, share);
        foot.ball_turn = between((home.*of).ball_turn, foot.ball_turn, share);
    }
}

void feet_at(Posture& p, double apart, double toe_out) {
    p.left_foot = {apart, 0, toe_out};
    p.right_foot = {-apart, 0, toe_out};
}

void lower_hands(Posture& p, Level most) {
    for (HandTarget* h : {&p.left_hand, &p.right_hand}) {
        HandTarget top = *h;
        top.level = most;
        top.y = most == Level::brow ? 0.05 : 0.15;
        if (hand_height(*h) <= hand_height(top)) continue;
        *h = top;
        h->z = std::max(h->z, 0.6); // before the face, not on it
    }
}

void hands_on_hips(Posture& p) {
    p.left_hand = {Level::belly, 0.66, 0.1, 0.2, 62};
    p.right_hand = {Level::belly, -0.66, 0.1, 0.2, 62};
}

void change_feet(Posture& p, const Posture& home, Feet feet) {
    switch (feet) {
    case Feet::as_they_are:
        return;
    case Feet::still:
        p.left_foot = home.left_foot;
        p.right_foot = home.right_foot;
        p.left_foot.contact = p.right_foot.contact = Contact::flat;
        p.weight_left = 0.5;
        p.depth = home.depth;
        p.forward = home.forward;
        p.pelvis_turn = std::clamp(p.pelvis_turn, -15.0, 15.0);
        p.shoulder_turn = std::clamp(p.shoulder_turn, -40.0, 40.0);
        return;
    case Feet::seated:
        feet_at(p, hip_wide, 6);
        p.weight_left = 0.5;
        p.seat = 1;
        p.depth = 1;
        p.forward = p.pelvis_turn = 0;
        p.lean = std::clamp(p.lean, 0.0, 25.0);
        p.shoulder_turn = std::clamp(p.shoulder_turn, -35.0, 35.0);
        for (HandTarget* h : {&p.left_hand, &p.right_hand}) { // over the thighs, not through them
            h->drop = std::min(h->drop, 0.2);
            if (h->level == Level::belly) h->y = std::max(h->y, -0.05), h->z = std::max(h->z, 0.4);
        }
        return;
    case Feet::shoulder:
        feet_at(p, shoulder_wide, 6);
        p.depth = between(1, p.depth, 0.35);
        return;
    case Feet::flat:
        for (FootTarget* f : {&p.left_foot, &p.right_foot}) {
            if (f->contact != Contact::off) f->contact = Contact::flat;
            f->heel_turn = f->ball_turn = 0;
        }
        return;
    case Feet::toe:
        for (FootTarget Posture::*of : {&Posture::left_foot, &Posture::right_foot})
            if ((p.*of).contact == Contact::off) {
                p.*of = home.*of;
                (p.*of).contact = Contact::toe;
            }
        return;
    case Feet::slide:
        for (FootTarget* f : {&p.left_foot, &p.right_foot}) {
            if (f->contact == Contact::off) f->lift = FootTarget::sliding;
            if (f->contact == Contact::toe) f->contact = Contact::flat;
        }
        return;
    }
}

Posture changed(Posture p, const Posture& home, const VersionChange& c) {
    if (c.range != 1) {
        less(p, home, c.range);
        p.left_hand = hand_between(home.left_hand, p.left_hand, c.range);
        p.right_hand = hand_between(home.right_hand, p.right_hand, c.range);
    }
    for (FootTarget Posture::*of : {&Posture::left_foot, &Posture::right_foot}) {
        (p.*of).x = between((home.*of).x, (p.*of).x, c.step);
        (p.*of).z = between((home.*of).z, (p.*of).z, c.step);
    }
    change_feet(p, home, c.feet);
    if (c.hands == "brow") lower_hands(p, Level::brow);
    if (c.hands == "belly") lower_hands(p, Level::belly);
    if (c.hands == "hips") hands_on_hips(p);
    if (c.chair) p.right_hand.support = 1, p.right_hand.elbow_out = 30;
    return p;
}

/// Where the feet no longer step, what was a step is one more way of the hands.
std::string role_standing(const Phase& p, const Posture& before) {
    static const std::set<std::string> steps{"unweight", "lift", "reach", "land", "pivot"};
    if (steps.contains(p.role)) return "gather";
    if (p.role == "transfer" || p.role == "settle")
        return std::abs(p.posture.shoulder_turn - before.shoulder_turn) > 15 ? "turn" : p.role == "settle" ? "hold" : "open";
    return p.role;
}

json rewritten(const Movement& m, const VersionChange& c, const std::map<std::string, int>& own_asks) {
    json j = json::parse(*m.source);
    const bool stands = c.feet == Feet::still || c.feet == Feet::seated || c.feet == Feet::shoulder;
    const Posture home = changed(m.home, m.home, c);
    j["home"] = posture_json(home);
    if (c.feet == Feet::seated) j["stance"] = "seated";
    if (c.feet == Feet::shoulder) j["stance"] = "shoulder";
    std::set<std::string> needs(m.needs.begin(), m.needs.end()), left_out;
    if (stands)
        for (const char* n :
             {"heel_first", "toe_first", "returns", "driver:feet", "strike:lead", "strike:rear", "side_step", "heel_raise", "hands_change"})
            needs.erase(n);
    if (c.feet == Feet::seated) {
        needs.erase("even_weight");
        needs.erase("heel_share");
        needs.insert("seat");
    }
    if (c.feet == Feet::flat || c.feet == Feet::slide)
        for (const char* n : {"toe_first", "side_step", "heel_raise"}) needs.erase(n);
    if (c.hands == "hips")
        for (const char* n :
             {"finish_together", "arms_open", "palms", "driver:arms", "strike:lead", "strike:rear", "eyes_follow", "hands_change"})
            needs.erase(n);
    j["needs"] = needs;
    json phases = json::array();
    Posture before = home;
    for (std::size_t i = 0; i < m.phases.size(); ++i) {
        Phase p = m.phases[i];
        p.posture = i + 1 == m.phases.size() ? changed(m.home, m.home, c) : changed(p.posture, m.home, c);
        const bool holds = p.role == "hold" || p.role == "settle" || p.role == "stand";
        if (p.posture == before && !holds && m.phases.size() - left_out.size() > 2) { // nothing is left to do in it
            left_out.insert(p.id);
            continue;
        }
        json x = j["phases"][i];
        x["posture"] = posture_json(p.posture);
        if (stands) {
            x["role"] = role_standing(p, before);
            x.erase("ends_at");
            x.erase("stance");
        }
        if (c.feet == Feet::toe || c.feet == Feet::slide) x.erase("ends_at");
        if (c.feet == Feet::toe && p.stance == "one_leg") x.erase("stance");
        phases.push_back(std::move(x));
        before = p.posture;
    }
    j["phases"] = phases;
    j.erase("versions");
    j.erase("recorded");
    for (const char* of : {"checks", "bands"}) {
        if (!j.contains(of)) continue;
        json rest = json::array();
        for (json x : j[of]) {
            if (x.contains("phases")) {
                json ids = json::array();
                for (const auto& id : x["phases"])
                    if (!left_out.contains(id.get<std::string>())) ids.push_back(id);
                if (ids.empty() && !x["phases"].empty()) continue;
                x["phases"] = ids;
            }
            rest.push_back(std::move(x));
        }
        j[of] = rest;
    }
    const auto off = [&](const char* check, const char* reason) {
        if (!j.contains("bands")) j["bands"] = json::array();
        j["bands"].push_back({{"check", check}, {"off", true}, {"reason", reason}});
    };
    if (c.chair) off("reach_alike", "One hand rests on the chair.");
    if (c.feet == Feet::seated) off("together", "The chair holds the hips.");
    Asks asks = m.asks;
    std::set<std::string> cautions(m.cautions.begin(), m.cautions.end());
    if (stands || c.feet == Feet::toe || c.feet == Feet::slide || c.chair) {
        // A chair beside takes none of it off a foot in the air.
        asks.balance = stands ? 0 : std::min(m.asks.balance, c.feet == Feet::toe || c.feet == Feet::slide ? 1 : 2);
        if (stands) cautions.erase("balance");
    }
    if (c.feet == Feet::seated) {
        asks.knees = 0;
        cautions.erase("knees");
    } else if (c.feet == Feet::still || c.feet == Feet::shoulder || c.range < 1) {
        asks.knees = std::max(0, m.asks.knees - 1);
    }
    if (c.hands == "brow" || c.hands == "belly" || c.hands == "hips") cautions.erase("overhead");
    j["asks"] = asks_json(asks);
    for (const auto& [name, much] : own_asks) j["asks"][name] = much;
    j["cautions"] = cautions;
    return j;
}

} // namespace

Version::Version(std::string n, std::string a, std::optional<VersionChange> c)
    : name(std::move(n)), about(std::move(a)), change(std::move(c)), made(std::make_shared<Made>()) {}

const std::array<Asks::Part, 10>& Asks::parts() {
    static const std::array<Part, 10> all{{{"knees", &Asks::knees},
                                           {"balance", &Asks::balance},
                                           {"neck", &Asks::neck},
                                           {"low_back", &Asks::low_back},
                                           {"shoulders", &Asks::shoulders},
                                           {"wrists", &Asks::wrists},
                                           {"hips", &Asks::hips},
                                           {"overhead", &Asks::overhead},
                                           {"head_low", &Asks::head_low},
                                           {"turning", &Asks::turning}}};
    return all;
}

Asks asks_of(const Movement& m, const std::string& version) {
    Asks out = m.as(version).asks;
    for (const auto& v : m.versions) {
        if (v.name != version || version.empty()) continue;
        for (const auto& p : Asks::parts())
            if (const auto it = v.asks.find(p.name); it != v.asks.end()) out.*p.value = it->second;
    }
    return out;
}

Result<Movement> make_version(const Movement& m, const Version& v) {
    if (!v.change || !m.source) return fail(Code::not_found, v.name);
    const auto plain = parse_movement(*m.source); // without what a school may have made of it
    if (!plain) return plain;
    auto made = parse_movement(rewritten(*plain, *v.change, v.asks).dump());
    if (!made) return made;
    made->version = v.name;
    made->own = m.own;
    return made;
}

const Movement& Movement::as(const std::string& wanted) const {
    if (wanted.empty() || wanted == version) return *this;
    for (const auto& v : versions)
        if (v.name == wanted && v.change && source) {
            std::call_once(v.made->once, [&] {
                if (auto m = make_version(*this, v)) v.made->movement = std::move(*m);
            });
            if (v.made->movement) return *v.made->movement;
        }
    return *this;
}

} // namespace bevel
