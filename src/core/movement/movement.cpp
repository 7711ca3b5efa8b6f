#include "core/movement/movement.h"
#include "core/catalogue/catalogue.h"
#include "core/folders.h"
#include "core/movement/checks.h"
#include "core/movement/json_reader.h"
#include "core/movement/posture_file.h"
#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <fstream>

namespace bevel {
namespace {

using namespace reading;
namespace fs = std::filesystem;

void check_feet(const Posture& from, const Phase& to) {
    auto one = [&](const FootTarget& a, const FootTarget& b) {
        if (!same_place(a, b) && a.contact != Contact::off && b.contact != Contact::off)
            throw Bad{"phase " + to.id + ": a foot slides over the floor"};
        const bool turns = a.heel_turn != b.heel_turn || a.ball_turn != b.ball_turn;
        if (turns && a.heel_turn != b.heel_turn && a.ball_turn != b.ball_turn && a.contact != Contact::off && b.contact != Contact::off)
            throw Bad{"phase " + to.id + ": a foot turns on heel and ball at once"};
    };
    one(from.left_foot, to.posture.left_foot);
    one(from.right_foot, to.posture.right_foot);
    if (to.posture.left_foot.contact == Contact::off && to.posture.right_foot.contact == Contact::off)
        throw Bad{"phase " + to.id + ": both feet off the floor"};
}

std::vector<BandChange> changes(const json& j, const RuleBook& rules) {
    std::vector<BandChange> out;
    if (j.size() > 500) throw Bad{"changes"};
    for (const auto& c : j) {
        BandChange b;
        only(c, {"rule", "measure", "check", "stance", "role", "kind", "phases", "low", "high", "off", "reason", "bend", "planted"});
        b.rule = text(c, "rule", false);
        b.measure = text(c, "measure", false);
        b.check = text(c, "check", false);
        b.stance = text(c, "stance", false);
        b.role = text(c, "role", false);
        b.kind = text(c, "kind", false);
        if (!b.stance.empty() && !among(stance_names(), b.stance)) throw Bad{"stance '" + b.stance + "' is not known"};
        if (!b.role.empty() && !among(role_names(), b.role)) throw Bad{"role '" + b.role + "' is not known"};
        if (!b.rule.empty() && !rules.find(b.rule)) throw Bad{"rule '" + b.rule + "' is not known"};
        if (!b.measure.empty() && !unit_of_measure(rules, b.measure)) throw Bad{"measure '" + b.measure + "' is not known"};
        if (c.contains("phases"))
            for (const auto& p : part(c, "phases", json::value_t::array)) {
                if (!p.is_string()) throw Bad{"phases"};
                b.phases.push_back(p.get<std::string>());
            }
        b.reason = text(c, "reason");
        if (b.reason.empty()) throw Bad{"reason"};
        if (c.contains("off") && !c["off"].is_boolean()) throw Bad{"off"};
        b.off = flag(c, "off");
        b.planted = flag(c, "planted");
        if (c.contains("bend")) {
            const auto& bend = part(c, "bend", json::value_t::object);
            only(bend, {"lean", "higher", "step", "toe_out", "weight", "forward", "pelvis", "lands"});
            if (bend.contains("lean")) b.lean = number(bend, "lean", 0, -20, 60);
            if (bend.contains("toe_out")) b.toe_out = number(bend, "toe_out", 0, -15, 50);
            if (bend.contains("weight")) b.weight = number(bend, "weight", 0.5, 0, 1);
            b.forward = number(bend, "forward", 0, -0.3, 0.3);
            b.higher = number(bend, "higher", 0, -0.2, 0.2);
            b.step = number(bend, "step", 1, 0.3, 1.5);
            b.pelvis = number(bend, "pelvis", 1, 0, 1);
            b.lands = text(bend, "lands", false);
            if (!b.lands.empty() && b.lands != "heel" && b.lands != "toe") throw Bad{"lands: '" + b.lands + "' is neither heel nor toe"};
        }
        if (c.contains("low")) b.low = number(c, "low", 0, -1e4, 1e4);
        if (c.contains("high")) b.high = number(c, "high", 0, -1e4, 1e4);
        if (b.low && b.high && *b.low > *b.high) throw Bad{"low " + std::to_string(*b.low) + " is above high"};
        if (!b.low && !b.high && !b.off && !b.bends()) throw Bad{"a change of nothing"};
        out.push_back(b);
    }
    return out;
}

/// One phase; what it does not say is as in the posture before it.
Phase phase(const json& p, const Posture& before, const std::string& stance, const RuleBook& rules) {
    only(p, {"id", "name", "role", "stance", "duration_s", "breath", "easing", "pause", "ends_at", "posture", "exceptions"});
    Phase ph;
    ph.id = identifier(p, "id");
    ph.name = text(p, "name");
    ph.duration_s = number(p, "duration_s", -1, 0.1, 120);
    if (ph.duration_s < 0) throw Bad{"duration_s"};
    ph.breath = pick<Breath>(text(p, "breath"), {{"in", Breath::in}, {"out", Breath::out}, {"free", Breath::free}}, "breath");
    if (p.contains("easing")) ph.ease = pick<Ease>(text(p, "easing"), {{"flow", Ease::flow}, {"settle", Ease::settle}}, "easing");
    if (p.contains("pause")) {
        if (!p["pause"].is_boolean()) throw Bad{"pause"};
        ph.pause = p["pause"].get<bool>();
    }
    ph.role = text(p, "role", false);
    if (!ph.role.empty() && !among(role_names(), ph.role)) throw Bad{"role '" + ph.role + "' is not known"};
    ph.stance = p.contains("stance") ? text(p, "stance") : stance;
    if (!ph.stance.empty() && !among(stance_names(), ph.stance)) throw Bad{"stance '" + ph.stance + "' is not known"};
    if (p.contains("exceptions"))
        ph.exceptions = within("exceptions", [&] { return changes(part(p, "exceptions", json::value_t::array), rules); });
    ph.ends_at = text(p, "ends_at", false);
    if (!ph.ends_at.empty()) pick<int>(ph.ends_at, {{"foot_off", 0}, {"foot_flat", 1}, {"shift_end", 2}, {"foot_down", 3}}, "ends_at");
    ph.posture = read_posture(part(p, "posture", json::value_t::object), before);
    return ph;
}

Recorded recorded(const json& j) {
    only(j, {"clips", "repetitions", "lead", "spread"});
    Recorded r;
    for (const auto& c : part(j, "clips", json::value_t::array)) {
        if (!c.is_string() || r.clips.size() >= 200) throw Bad{"clips"};
        r.clips.push_back(c.get<std::string>());
    }
    r.repetitions = static_cast<int>(number(j, "repetitions", 1, 1, 1e5));
    r.lead = pick<Side>(text(j, "lead"), {{"left", Side::left}, {"right", Side::right}}, "lead");
    const auto& spread = part(j, "spread", json::value_t::array);
    if (spread.size() > 20000) throw Bad{"spread"};
    for (const auto& s : spread) {
        only(s, {"phase", "measure", "mean", "sd", "n"});
        const std::string key = text(s, "measure");
        if (!measure_info(key.ends_with(".left") || key.ends_with(".right") ? key.substr(0, key.rfind('.')) : key) && !measure_info(key))
            throw Bad{"measure '" + key + "' is not known"};
        r.spread.push_back({text(s, "phase"), key, number(s, "mean", 0, -1e5, 1e5), number(s, "sd", 0, 0, 1e5),
                            static_cast<int>(number(s, "n", 1, 1, 1e5))});
    }
    return r;
}

Movement read_movement(const json& j, const RuleBook& rules) {
    Movement m;
    only(j, {"$schema", "id",       "name",     "pinyin",     "kind",   "about",   "attention",   "images", "trains",
             "asks",    "drills",   "versions", "best_views", "driver", "twin_of", "repetitions", "stance", "needs",
             "tool",    "cautions", "bands",    "home",       "phases", "checks",  "recorded"});
    m.id = identifier(j, "id");
    m.name = text(j, "name");
    if (m.name.empty()) throw Bad{"name"};
    m.kind = text(j, "kind");
    m.about = text(j, "about");
    m.feature = text(j, "driver");
    m.twin_of = text(j, "twin_of", false);
    if (!unit_of_measure(rules, m.feature)) throw Bad{"driver: measure '" + m.feature + "' is not known"};
    m.repetitions = static_cast<int>(number(j, "repetitions", 2, 1, 50));
    for (const auto& v : part(j, "best_views", json::value_t::array)) {
        const auto view = v.is_string() ? view_from_name(v.get<std::string>()) : std::nullopt;
        if (!view) throw Bad{"best_views"};
        m.best_views.push_back(*view);
    }
    if (m.best_views.empty()) throw Bad{"best_views"};
    const std::string stance = text(j, "stance", false);
    if (!stance.empty() && !among(stance_names(), stance)) throw Bad{"stance '" + stance + "' is not known"};
    m.pinyin = text(j, "pinyin", false);
    auto list = [&](const char* key) {
        std::vector<std::string> out;
        if (j.contains(key))
            for (const auto& s : part(j, key, json::value_t::array)) {
                if (!s.is_string() || s.get<std::string>().empty() || out.size() >= 20) throw Bad{key};
                out.push_back(s.get<std::string>());
            }
        return out;
    };
    m.attention = list("attention");
    m.images = list("images");
    m.trains = list("trains");
    auto each_of = [&](const char* key, const std::vector<std::string>& all, const std::vector<std::string>& known) {
        for (const auto& s : all)
            if (std::find(known.begin(), known.end(), s) == known.end()) throw Bad{std::string(key) + ": '" + s + "' is not known"};
    };
    each_of("trains", m.trains, {"legs", "waist", "spine", "shoulders", "balance", "breath"});
    if (j.contains("asks")) {
        const auto asks = read_asks(j["asks"]);
        for (const auto& p : Asks::parts())
            if (const auto it = asks.find(p.name); it != asks.end()) m.asks.*p.value = it->second;
    }
    if (j.contains("tool")) {
        const auto& tool = part(j, "tool", json::value_t::object);
        only(tool, {"front", "back"});
        m.tool = Tool{number(tool, "front", 0.2, 0, 0.8), number(tool, "back", 0.2, 0, 0.8)};
    }
    if (j.contains("drills"))
        for (const auto& d : part(j, "drills", json::value_t::array)) {
            only(d, {"name", "about", "rules"});
            Drill drill{text(d, "name"), text(d, "about"), {}};
            for (const auto& r : part(d, "rules", json::value_t::array)) {
                if (!r.is_string() || !rules.find(r.get<std::string>())) throw Bad{"drill " + drill.name + ": rule is not known"};
                drill.rules.push_back(r.get<std::string>());
            }
            if (drill.rules.empty()) throw Bad{"drill " + drill.name + ": rules"};
            m.drills.push_back(std::move(drill));
        }
    if (j.contains("versions"))
        for (const auto& v : part(j, "versions", json::value_t::array)) m.versions.push_back(read_version(v));
    m.needs = list("needs");
    each_of("needs", m.needs, need_names());
    if (j.contains("recorded")) m.recorded = within("recorded", [&] { return recorded(part(j, "recorded", json::value_t::object)); });
    if (j.contains("bands")) m.bands = within("bands", [&] { return changes(part(j, "bands", json::value_t::array), rules); });
    m.cautions = list("cautions");
    each_of("cautions", m.cautions, caution_names());
    m.home = within("home", [&] { return read_posture(part(j, "home", json::value_t::object), Posture{}); });
    const auto& phases = part(j, "phases", json::value_t::array);
    if (phases.empty() || phases.size() > 60) throw Bad{"phases"};
    Posture before = m.home;
    for (const auto& p : phases) {
        if (!p.is_object()) throw Bad{"phases"};
        const std::string id = identifier(p, "id");
        if (std::any_of(m.phases.begin(), m.phases.end(), [&](const Phase& o) { return o.id == id; }))
            throw Bad{"phase " + id + ": there twice"};
        m.phases.push_back(within("phase " + id, [&] { return phase(p, before, stance, rules); }));
        check_feet(before, m.phases.back());
        before = m.phases.back().posture;
    }
    Phase closing = m.phases.back();
    closing.id = "the return home";
    closing.posture = m.home;
    check_feet(m.phases.back().posture, closing);
    make_checks(m, j, rules);
    return m;
}

template <class T, class F> std::vector<T> load_all(const fs::path& dir, const char* skip, F load, std::vector<Error>* problems) {
    std::vector<fs::path> files;
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(dir, ec))
        if (e.path().extension() == ".json" && e.path().filename() != skip) files.push_back(e.path());
    std::sort(files.begin(), files.end());
    std::vector<T> out;
    for (const auto& f : files) {
        auto one = load(f);
        if (one)
            out.push_back(std::move(*one));
        else if (problems)
            problems->push_back({one.error().code, f.filename().string() + ": " + one.error().context});
    }
    return out;
}

} // namespace

std::string_view contact_name(Contact c) {
    constexpr std::array<std::string_view, 4> n{"flat", "heel", "toe", "off"};
    return n[static_cast<std::size_t>(c)];
}

std::optional<Contact> contact_from_name(std::string_view name) {
    for (const Contact c : {Contact::flat, Contact::heel, Contact::toe, Contact::off})
        if (contact_name(c) == name) return c;
    return std::nullopt;
}

bool Movement::symmetric() const {
    if (course) return true; // it is done once, on both sides in its own order
    auto near = [](double a, double b) { return std::abs(a - b) < 1e-6; };
    auto foot = [&](const FootTarget& a, const FootTarget& b) {
        return near(a.x, b.x) && near(a.z, b.z) && near(a.toe_out, b.toe_out) && near(a.heel_turn, b.heel_turn) &&
               near(a.ball_turn, b.ball_turn) && a.contact == b.contact;
    };
    auto hand = [&](const HandTarget& a, const HandTarget& b) {
        return a.level == b.level && near(a.x, b.x) && near(a.y, b.y) && near(a.z, b.z) && near(a.elbow_out, b.elbow_out) &&
               near(a.palm, b.palm) && near(a.fist, b.fist) && near(a.drop, b.drop) && near(a.support, b.support);
    };
    return std::all_of(phases.begin(), phases.end(), [&](const Phase& p) {
        const Posture &a = p.posture, b = a.mirrored();
        return foot(a.left_foot, b.left_foot) && foot(a.right_foot, b.right_foot) && hand(a.left_hand, b.left_hand) &&
               hand(a.right_hand, b.right_hand) && near(a.weight_left, b.weight_left) && near(a.pelvis_turn, b.pelvis_turn) &&
               near(a.shoulder_turn, b.shoulder_turn) && near(a.side, b.side) && near(a.gaze_turn, b.gaze_turn);
    });
}

Posture Posture::mirrored() const {
    Posture p = *this;
    std::swap(p.left_foot, p.right_foot);
    std::swap(p.left_hand, p.right_hand);
    for (FootTarget* f : {&p.left_foot, &p.right_foot}) f->x = -f->x;
    for (HandTarget* h : {&p.left_hand, &p.right_hand}) h->x = -h->x;
    p.weight_left = 1 - p.weight_left;
    p.pelvis_turn = -p.pelvis_turn;
    p.shoulder_turn = -p.shoulder_turn;
    p.side = -p.side;
    p.gaze_turn = -p.gaze_turn;
    return p;
}

double Movement::duration_s() const {
    double d = 0;
    for (const auto& p : phases) d += p.duration_s;
    return d;
}

Posture Movement::quiet() const {
    if (stand) return *stand;
    Posture p = home;
    p.weight_left = 0.5;
    p.depth = 1;
    p.pelvis_turn = p.shoulder_turn = p.lean = p.side = p.gaze_turn = p.gaze_pitch = 0;
    p.forward = p.low_back = p.upper_back = p.neck = 0;
    if (tool) return p; // the hands stay on it
    p.left_hand = {Level::belly, 0.82, -0.15, 0.12, 35};
    p.right_hand = {Level::belly, -0.82, -0.15, 0.12, 35};
    return p;
}

Result<std::string> read_text(const fs::path& file, std::size_t max_bytes) {
    std::ifstream in(file, std::ios::binary);
    if (!in || fs::is_directory(file)) return fail(Code::cannot_open, file.string());
    // As long as it is, not as long as it may be; what is no plain file does not tell its length.
    std::string s;
    std::array<char, 1 << 16> part{};
    while (in.read(part.data(), part.size()) || in.gcount() > 0) {
        s.append(part.data(), static_cast<std::size_t>(in.gcount()));
        if (s.size() > max_bytes) return fail(Code::too_large, file.string());
    }
    return s;
}

Result<Movement> parse_movement(const std::string& source, const RuleBook& rules) {
    auto m = guarded(source, [&](const json& j) { return read_movement(j, rules); });
    if (m) m->source = std::make_shared<const std::string>(source);
    return m;
}

Result<Movement> load_movement(const fs::path& file) {
    auto source = read_text(file, 1 << 20);
    if (!source) return tl::unexpected(source.error());
    return parse_movement(*source);
}

Result<School> load_school(const fs::path& file) {
    auto source = read_text(file, 1 << 20);
    if (!source) return tl::unexpected(source.error());
    return parse_school(*source);
}

Result<School> parse_school(const std::string& source) {
    auto read = guarded(source, [](const json& j) {
        only(j, {"$schema", "id", "name", "about", "changes"});
        School s;
        s.id = identifier(j, "id"), s.name = text(j, "name"), s.about = text(j, "about");
        if (s.name.empty()) throw Bad{"name"};
        s.changes = within("changes", [&] { return changes(part(j, "changes", json::value_t::array), rule_book()); });
        for (const auto& c : s.changes) {
            const auto names = [&](const Rule& r) {
                return std::any_of(r.checks.begin(), r.checks.end(), [&](const RuleCheck& k) { return k.check.id == c.check; });
            };
            const auto& all = rule_book().rules;
            if (!c.check.empty() && std::none_of(all.begin(), all.end(), names)) throw Bad{"changes: check '" + c.check + "' is not known"};
        }
        return s;
    });
    if (read) read->source = std::make_shared<const std::string>(source);
    return read;
}

std::vector<Movement> load_movements(const fs::path& data_dir, std::vector<Error>* problems) {
    return load_all<Movement>(data_dir / "movements", "movement.schema.json", load_movement, problems);
}

std::vector<School> load_schools(const fs::path& data_dir, std::vector<Error>* problems) {
    return load_all<School>(data_dir / "schools", "school.schema.json", load_school, problems);
}

fs::path find_data_dir(const fs::path& program) {
    return shipped_folder(program, "data", "BEVEL_DATA");
}

} // namespace bevel
