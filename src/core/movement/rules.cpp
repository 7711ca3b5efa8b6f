#include "core/movement/rules.h"
#include "core/catalogue/catalogue.h"
#include "core/catalogue/event_names.h"
#include "core/movement/json_reader.h"
#include "rules_json.inc" // data/rules.json as text, made by CMake
#include <algorithm>
#include <array>
#include <cstdio>
#include <cstdlib>
#include <set>

namespace bevel {
namespace {

using namespace reading;

bool known(const std::vector<std::string>& names, const std::string& name) {
    return std::find(names.begin(), names.end(), name) != names.end();
}

std::vector<std::string> names_of(const json& j, const char* key, const std::vector<std::string>* among = nullptr) {
    std::vector<std::string> out;
    if (!j.contains(key)) return out;
    for (const auto& v : part(j, key, json::value_t::array)) {
        if (!v.is_string()) throw Bad{key};
        out.push_back(v.get<std::string>());
        if (among && !known(*among, out.back())) throw Bad{std::string(key) + ": '" + out.back() + "' is not known"};
    }
    return out;
}

std::string side_of(const json& j, const char* key = "side", bool own = false) {
    const auto s = text(j, key, false);
    if (!s.empty() && s != "lead" && s != "rear" && s != "both" && !(own && s == "own")) throw Bad{key + (": '" + s) + "' is not known"};
    return s;
}

EventPick event_of(const json& j) {
    only(j, {"event", "part", "side", "roles", "at", "within_s", "before_s"});
    EventPick e;
    e.event = text(j, "event");
    e.part = text(j, "part", false);
    if (!event_from_name(e.event)) throw Bad{"event '" + e.event + "' is not known"};
    if (!e.part.empty() && !part_from_name(e.part)) throw Bad{"part '" + e.part + "' is not known"};
    e.side = side_of(j);
    e.roles = names_of(j, "roles", &role_names());
    const auto at = text(j, "at", false);
    if (!at.empty() && at != "start" && at != "end") throw Bad{"at"};
    e.at_end = at != "start";
    e.within_s = number(j, "within_s", 1, 0, 60);
    e.before_s = number(j, "before_s", 0, 0, 5);
    return e;
}

Cue cue_of(const json& j) {
    Cue c;
    if (j.is_string()) return {j.get<std::string>(), {}};
    for (const auto& [role, words] : j.items()) {
        if (!words.is_string()) throw Bad{"cues"};
        if (role == "usual")
            c.usual = words.get<std::string>();
        else if (known(role_names(), role))
            c.by_role[role] = words.get<std::string>();
        else
            throw Bad{"cues: '" + role + "' is not a role"};
    }
    return c;
}

/// What a check and a derived measure share: how the value is made.
void read_form(const json& j, Check& c) {
    c.form = pick<CheckForm>(text(j, "form"),
                             {{"value", CheckForm::value},
                              {"during", CheckForm::during},
                              {"order", CheckForm::order},
                              {"count", CheckForm::count},
                              {"spread", CheckForm::spread},
                              {"same", CheckForm::same},
                              {"drift", CheckForm::drift}},
                             "form");
    c.measure = text(j, "measure", false);
    c.side = side_of(j);
    c.unit = text(j, "unit", false);
    c.reference = flag(j, "reference");
    c.by_lead = flag(j, "by_lead");
    c.size = flag(j, "size");
    c.three_d = flag(j, "three_d");
    c.slack_side = number(j, "slack_side", 0, 0, 10);
    c.first_s = number(j, "first_s", 0, 0, 600);
    c.least_s = number(j, "least_s", 0, 0, 600);
    c.counts = text(j, "counts", false);
    if (!c.counts.empty() && c.counts != "seconds" && c.counts != "repetitions" && c.counts != "pace" && c.counts != "halts" &&
        c.counts != "breath" && c.counts != "length" && c.counts != "ramp" && c.counts != "pause")
        throw Bad{"counts"};
    c.summary = summary_from(j.contains("summary") ? text(j, "summary") : "median");
    if (j.contains("while"))
        for (const auto& w : part(j, "while", json::value_t::array)) {
            only(w, {"measure", "side", "band", "size"});
            While one;
            one.measure = text(w, "measure");
            one.side = side_of(w, "side", true);
            one.size = flag(w, "size");
            std::tie(one.low, one.high) = band_from(w);
            c.when.push_back(one);
        }
    if (j.contains("events"))
        for (const auto& e : part(j, "events", json::value_t::array)) c.events.push_back(event_of(e));
    // A check on a derived measure takes its form and events from there.
    const std::size_t needed = !c.measure.empty()                                    ? 0
                               : c.form == CheckForm::order                          ? 2
                               : c.form == CheckForm::count && c.counts == "seconds" ? 1
                                                                                     : 0;
    if (c.events.size() < needed) throw Bad{"events"};
    if (c.form == CheckForm::during && c.when.empty()) throw Bad{"while"};
}

void need_measures(const RuleBook& book, const Check& c) {
    const bool needs = c.form == CheckForm::value || c.form == CheckForm::during || c.form == CheckForm::drift ||
                       (c.form == CheckForm::same && c.counts.empty());
    if (needs && c.measure.empty()) throw Bad{"measure"};
    if (!c.measure.empty() && !unit_of_measure(book, c.measure)) throw Bad{"measure '" + c.measure + "' is not known"};
    for (const auto& w : c.when)
        if (!measure_info(w.measure)) throw Bad{"measure '" + w.measure + "' is not known"};
}

RuleCheck read_check(const json& j, const Rule& rule) {
    only(j, {"id",        "form",       "measure", "roles",   "not_roles", "stances",  "not_stances", "needs",   "side",   "band",
             "reference", "by_lead",    "size",    "summary", "while",     "events",   "off_with",    "three_d", "counts", "first_s",
             "least_s",   "slack_side", "unit",    "edge",    "matters",   "severity", "film",        "good",    "faults", "cues"});
    RuleCheck out;
    Check& c = out.check;
    c.id = text(j, "id");
    c.rule = rule.id;
    read_form(j, c);
    out.roles = names_of(j, "roles", &role_names());
    out.not_roles = names_of(j, "not_roles", &role_names());
    out.needs = names_of(j, "needs", &need_names());
    out.not_stances = names_of(j, "not_stances", &stance_names());
    static const std::vector<std::string> states{"support", "seat"};
    c.off_with = names_of(j, "off_with", &states);
    if (j.contains("band")) std::tie(c.low, c.high) = band_from(j);
    if (j.contains("stances"))
        for (const auto& [stance, band] : part(j, "stances", json::value_t::object).items()) {
            if (!known(stance_names(), stance)) throw Bad{"stances: '" + stance + "' is not known"};
            BandStep s{BandLevel::stance, {}, {}, {}};
            std::tie(s.low, s.high) = band_from(json{{"band", band}});
            out.stances[stance] = s;
        }
    if (!j.contains("band") && out.stances.empty()) throw Bad{"band"};
    if (j.contains("edge")) c.edge = number(j, "edge", 0, 0, 1000);
    c.matters = number(j, "matters", 0, 0, 1000);
    c.severity = j.contains("severity") ? severity_from(text(j, "severity")) : rule.severity;
    c.good = text(j, "good", false);
    c.film = text(j, "film", false);
    const auto& cues = part(j, "cues", json::value_t::object);
    only(cues, {"low", "high"});
    if (cues.contains("low")) c.cue_low = cue_of(cues["low"]);
    if (cues.contains("high")) c.cue_high = cue_of(cues["high"]);
    if (j.contains("faults")) {
        const auto& faults = part(j, "faults", json::value_t::object);
        only(faults, {"low", "high"});
        c.fault_low = text(faults, "low", false);
        c.fault_high = text(faults, "high", false);
    }
    auto ends = [&](const std::optional<double>& low, const std::optional<double>& high) {
        if (low && c.cue_low.usual.empty()) throw Bad{"cues: low"};
        if (high && c.cue_high.usual.empty()) throw Bad{"cues: high"};
    };
    ends(c.low, c.high);
    for (const auto& [stance, s] : out.stances) ends(s.low, s.high);
    c.stack = {{BandLevel::rule, c.low, c.high, {}}};
    return out;
}

RuleBook read_book(const json& j) {
    only(j, {"$schema", "resting_roles", "derived", "rules"});
    RuleBook book;
    book.resting_roles = names_of(j, "resting_roles", &role_names());
    if (j.contains("derived"))
        for (const auto& [id, d] : part(j, "derived", json::value_t::object).items()) {
            Check c;
            c.id = id;
            try {
                only(d, {"form", "unit", "measure", "side", "summary", "slack_side", "counts", "events"});
                if (!measure_info(id)) throw Bad{"is not in the catalogue"};
                read_form(d, c);
                if (c.unit.empty() && c.measure.empty()) throw Bad{"unit"};
            } catch (const Bad& b) {
                throw Bad{"derived " + id + ": " + b.where};
            }
            book.derived[id] = c;
        }
    for (const auto& [id, c] : book.derived) {
        try {
            if (!c.measure.empty() && !measure_info(c.measure)) throw Bad{"measure '" + c.measure + "' is not known"};
        } catch (const Bad& b) {
            throw Bad{"derived " + id + ": " + b.where};
        }
    }
    const auto& rules = part(j, "rules", json::value_t::array);
    if (rules.size() > 500) throw Bad{"rules"};
    std::set<std::string> checks;
    for (const auto& r : rules) {
        Rule rule;
        rule.id = text(r, "id");
        try {
            if (book.find(rule.id)) throw Bad{"is there twice"};
            only(r, {"id", "name", "severity", "causes", "cautions", "checks"});
            rule.name = text(r, "name");
            rule.severity = severity_from(text(r, "severity"));
            rule.causes = names_of(r, "causes");
            rule.cautions = names_of(r, "cautions", &caution_names());
            for (const auto& c : part(r, "checks", json::value_t::array)) {
                const std::string id = text(c, "id");
                try {
                    rule.checks.push_back(read_check(c, rule));
                    need_measures(book, rule.checks.back().check);
                    if (!checks.insert(id).second) throw Bad{"is there twice"};
                } catch (const Bad& b) {
                    throw Bad{"check " + id + ": " + b.where};
                }
            }
        } catch (const Bad& b) {
            throw Bad{"rule " + rule.id + ": " + b.where};
        }
        book.rules.push_back(std::move(rule));
    }
    for (const auto& r : book.rules)
        for (const auto& c : r.causes)
            if (!book.find(c)) throw Bad{"rule " + r.id + ": causes: '" + c + "' is not a rule"};
    return book;
}

} // namespace

std::string_view severity_name(Severity s) {
    constexpr std::array<std::string_view, 5> n{"safety", "ground", "timing", "shape", "even"};
    return n[static_cast<std::size_t>(s)];
}
std::string_view form_name(CheckForm f) {
    constexpr std::array<std::string_view, 7> n{"value", "during", "order", "count", "spread", "same", "drift"};
    return n[static_cast<std::size_t>(f)];
}
std::string_view level_name(BandLevel l) {
    constexpr std::array<std::string_view, 7> n{"rule", "stance", "movement", "school", "phase", "student", "clip"};
    return n[static_cast<std::size_t>(l)];
}

const std::vector<std::string>& role_names() {
    static const std::vector<std::string> n{"stand",  "unweight", "lift", "reach", "land",  "transfer", "settle",
                                            "return", "turn",     "sink", "rise",  "open",  "close",    "gather",
                                            "strike", "bend",     "roll", "swing", "pivot", "hold"};
    return n;
}
const std::vector<std::string>& stance_names() {
    static const std::vector<std::string> n{"together", "narrow", "hip",   "shoulder", "wide",  "horse",
                                            "bow",      "empty",  "kneel", "one_leg",  "seated"};
    return n;
}

const std::vector<std::string>& caution_names() {
    static const std::vector<std::string> n{"general", "knees", "balance", "dizziness", "overhead", "bends"};
    return n;
}
const std::vector<std::string>& need_names() {
    static const std::vector<std::string> n{"driver:feet",     "driver:waist", "driver:arms",  "tool",        "seat",
                                            "breath",          "heel_first",   "toe_first",    "returns",     "even_weight",
                                            "heel_share",      "arms_open",    "palms",        "strike:lead", "strike:rear",
                                            "finish_together", "eyes_follow",  "hands_change", "side_step",   "heel_raise"};
    return n;
}

const Rule* RuleBook::find(const std::string& id) const {
    for (const auto& r : rules)
        if (r.id == id) return &r;
    return nullptr;
}

std::optional<std::string> unit_of_measure(const RuleBook& book, const std::string& id) {
    if (const auto d = book.derived.find(id); d != book.derived.end()) {
        if (!d->second.unit.empty()) return d->second.unit;
        return measure_info(d->second.measure)->unit;
    }
    if (const auto* m = measure_info(id)) return m->unit;
    return std::nullopt;
}

Result<RuleBook> parse_rules(const std::string& source) {
    return guarded(source, read_book);
}

const RuleBook& rule_book() {
    static const RuleBook book = [] {
        auto b = parse_rules(rules_json_text);
        if (!b) {
            // The program's own data, held by a test; without rules everything would be praised.
            std::fprintf(stderr, "data/rules.json: %s\n", b.error().context.c_str());
            std::abort();
        }
        return std::move(*b);
    }();
    return book;
}

} // namespace bevel
