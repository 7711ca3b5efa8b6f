// A plan as text and back.
#include "core/practice/fields.h"
#include "core/practice/plan.h"
#include <algorithm>
#include <array>
#include <nlohmann/json.hpp>

namespace bevel {

namespace {
using namespace fields;
constexpr std::array<const char*, 13> reason_names{"frame",     "asked", "drill_for", "prepares", "eases",   "theme",  "wanted",
                                                   "practised", "kept",  "settles",   "grows",    "variety", "gentler"};
} // namespace

std::string plan_text(const Plan& plan) {
    json items = json::array(), left = json::array();
    for (const auto& i : plan.items) {
        json why = json::array();
        for (const auto& w : i.why)
            why.push_back({{"code", reason_names[static_cast<std::size_t>(w.code)]}, {"of", w.of}, {"part", w.part}});
        items.push_back({{"part", plan_part_name(i.part)},
                         {"movement", i.movement},
                         {"version", i.version},
                         {"drill", i.drill},
                         {"left", i.left},
                         {"right", i.right},
                         {"times", i.times},
                         {"holds", i.holds},
                         {"hold_s", i.hold_s},
                         {"practice_s", i.practice_s},
                         {"change_s", i.change_s},
                         {"support", i.support},
                         {"ladder", i.ladder},
                         {"first", i.first_side},
                         {"locked", i.locked},
                         {"sequence", i.sequence},
                         {"why", why},
                         {"cautions", i.cautions}});
        if (i.rounds > 0) items.back()["round"] = i.round, items.back()["rounds"] = i.rounds;
        if (!i.let_in.empty()) items.back()["let_in"] = i.let_in;
        if (i.recall) items.back()["recall"] = true;
        for (const auto& o : i.otherwise)
            items.back()["otherwise"].push_back({{"movement", o.movement}, {"version", o.version}, {"support", o.support}});
    }
    for (const auto& l : plan.left_out) left.push_back({{"movement", l.movement}, {"why", left_names[static_cast<std::size_t>(l.code)]}});
    return json{
        {"format", "bevel-plan"},  {"version", 1},      {"title", plan.title},       {"person", plan.person}, {"school", plan.school},
        {"minutes", plan.minutes}, {"pace", plan.pace}, {"breath_s", plan.breath_s}, {"items", items},        {"left_out", left}}
        .dump(1, ' ', false, json::error_handler_t::replace);
}

Result<Plan> parse_plan(const std::string& source) {
    if (source.size() > (1U << 20U)) return fail(Code::too_large, "plan");
    const json j = json::parse(source, nullptr, false);
    try {
        if (!j.is_object()) throw Bad{"plan"};
        if (text(j, "format") != "bevel-plan") throw Bad{"format"};
        number(j, "version", 1, 1);
        Plan p;
        p.title = text(j, "title"), p.person = text(j, "person"), p.school = text(j, "school");
        p.minutes = number(j, "minutes", 1, 600), p.pace = number(j, "pace", 0.5, 3), p.breath_s = number(j, "breath_s", 3, 40);
        if (!j.contains("items") || !j["items"].is_array() || j["items"].size() > 300) throw Bad{"items"};
        for (std::size_t n = 0; n < j["items"].size(); ++n) {
            const auto& o = j["items"][n];
            try {
                if (!o.is_object()) throw Bad{""};
                PlanItem i;
                const auto part = plan_part_from(text(o, "part"));
                if (!part) throw Bad{"part"};
                i.part = *part;
                i.movement = text(o, "movement"), i.version = text(o, "version"), i.drill = text(o, "drill"),
                i.first_side = text(o, "first");
                i.left = static_cast<int>(number(o, "left", 0, 200)), i.right = static_cast<int>(number(o, "right", 0, 200));
                i.times = static_cast<int>(number(o, "times", 0, 400)), i.holds = static_cast<int>(number(o, "holds", 0, 60));
                i.hold_s = number(o, "hold_s", 0, 3600), i.practice_s = number(o, "practice_s", 0, 36000),
                i.change_s = number(o, "change_s", 0, 3600);
                if (o.contains("rounds"))
                    i.rounds = static_cast<int>(number(o, "rounds", 0, 20)), i.round = static_cast<int>(number(o, "round", 0, 20));
                if (o.contains("let_in")) i.let_in = text(o, "let_in");
                if (o.contains("recall")) {
                    if (!o["recall"].is_boolean()) throw Bad{"recall"};
                    i.recall = o["recall"];
                }
                if (o.contains("otherwise")) {
                    if (!o["otherwise"].is_array() || o["otherwise"].size() > 20) throw Bad{"otherwise"};
                    for (const auto& w : o["otherwise"]) {
                        if (!w.is_object() || !w.contains("support") || !w["support"].is_boolean()) throw Bad{"otherwise"};
                        i.otherwise.push_back({text(w, "movement"), text(w, "version"), w["support"].get<bool>()});
                    }
                }
                if (o.contains("ladder")) i.ladder = static_cast<int>(number(o, "ladder", 0, balance_steps));
                for (const auto& [to, key] : {std::pair{&i.support, "support"}, {&i.locked, "locked"}}) {
                    if (!o.contains(key) || !o[key].is_boolean()) throw Bad{key};
                    *to = o[key];
                }
                i.sequence = texts(o, "sequence"), i.cautions = texts(o, "cautions");
                if (!o.contains("why") || !o["why"].is_array() || o["why"].size() > 20) throw Bad{"why"};
                for (const auto& w : o["why"]) {
                    if (!w.is_object()) throw Bad{"why"};
                    const auto name = text(w, "code");
                    const auto at = std::find(reason_names.begin(), reason_names.end(), name);
                    if (at == reason_names.end()) throw Bad{"why"};
                    i.why.push_back({static_cast<PlanReason::Code>(at - reason_names.begin()), text(w, "of"), text(w, "part")});
                }
                p.items.push_back(std::move(i));
            } catch (const Bad& b) {
                throw Bad{"items/" + std::to_string(n) + "/" + b.where};
            }
        }
        if (!j.contains("left_out") || !j["left_out"].is_array() || j["left_out"].size() > 300) throw Bad{"left_out"};
        for (const auto& l : j["left_out"]) {
            if (!l.is_object()) throw Bad{"left_out"};
            const auto name = text(l, "why");
            const auto at = std::find(left_names.begin(), left_names.end(), name);
            if (at == left_names.end()) throw Bad{"left_out"};
            p.left_out.push_back({text(l, "movement"), static_cast<LeftOut::Code>(at - left_names.begin())});
        }
        return p;
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    }
}

} // namespace bevel
