#include "core/movement/movement.h"
#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <fstream>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

/// Thrown and caught inside this file only, to leave a nested read with the place that is wrong.
struct Bad {
    std::string where;
};

template <class E> E pick(const std::string& word, std::initializer_list<std::pair<const char*, E>> of, const char* where) {
    for (const auto& [name, value] : of)
        if (word == name) return value;
    throw Bad{std::string(where) + " '" + word + "'"};
}

double number(const json& j, const char* key, double fallback, double lo, double hi) {
    const auto it = j.find(key);
    if (it == j.end()) return fallback;
    if (!it->is_number()) throw Bad{key};
    const double v = it->get<double>();
    if (!std::isfinite(v) || v < lo || v > hi) throw Bad{key};
    return v;
}

std::string text(const json& j, const char* key, bool needed = true) {
    const auto it = j.find(key);
    if (it == j.end()) {
        if (needed) throw Bad{key};
        return {};
    }
    if (!it->is_string()) throw Bad{key};
    auto s = it->get<std::string>();
    if (s.size() > 2000) throw Bad{key};
    return s;
}

const json& part(const json& j, const char* key, json::value_t type) {
    const auto it = j.find(key);
    if (it == j.end() || it->type() != type) throw Bad{key};
    return *it;
}

FootTarget foot(const json& j, FootTarget f) {
    f.x = number(j, "x", f.x, -4, 4);
    f.z = number(j, "z", f.z, -6, 6);
    f.toe_out = number(j, "toe_out", f.toe_out, -30, 70);
    if (j.contains("contact"))
        f.contact =
            pick<Contact>(text(j, "contact"),
                          {{"flat", Contact::flat}, {"heel", Contact::heel}, {"toe", Contact::toe}, {"off", Contact::off}}, "contact");
    return f;
}

HandTarget hand(const json& j, HandTarget h) {
    if (j.contains("level"))
        h.level = pick<Level>(text(j, "level"), {{"belly", Level::belly}, {"heart", Level::heart}, {"brow", Level::brow}}, "level");
    h.x = number(j, "x", h.x, -3, 3);
    h.y = number(j, "y", h.y, -3, 3);
    h.z = number(j, "z", h.z, -3, 3);
    h.elbow_out = number(j, "elbow_out", h.elbow_out, -20, 120);
    return h;
}

/// A posture names only what differs from the one before it.
Posture posture(const json& j, Posture p) {
    if (!j.is_object()) throw Bad{"posture"};
    if (j.contains("left_foot")) p.left_foot = foot(j["left_foot"], p.left_foot);
    if (j.contains("right_foot")) p.right_foot = foot(j["right_foot"], p.right_foot);
    if (j.contains("left_hand")) p.left_hand = hand(j["left_hand"], p.left_hand);
    if (j.contains("right_hand")) p.right_hand = hand(j["right_hand"], p.right_hand);
    p.weight_left = number(j, "weight_left", p.weight_left, 0, 1);
    p.depth = number(j, "depth", p.depth, 0.4, 1.1);
    p.pelvis_turn = number(j, "pelvis_turn", p.pelvis_turn, -90, 90);
    p.shoulder_turn = number(j, "shoulder_turn", p.shoulder_turn, -120, 120);
    p.lean = number(j, "lean", p.lean, -30, 90);
    p.side = number(j, "side", p.side, -45, 45);
    p.gaze_turn = number(j, "gaze_turn", p.gaze_turn, -80, 80);
    p.gaze_pitch = number(j, "gaze_pitch", p.gaze_pitch, -60, 60);
    return p;
}

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
    const auto& band = part(j, "band", json::value_t::array);
    if (band.size() != 2) throw Bad{"band"};
    auto end = [](const json& v) -> std::optional<double> {
        if (v.is_null()) return std::nullopt;
        if (!v.is_number()) throw Bad{"band"};
        return v.get<double>();
    };
    c.low = end(band[0]);
    c.high = end(band[1]);
    if (c.low && c.high && *c.low > *c.high) throw Bad{"band"};
    if (j.contains("edge")) c.edge = number(j, "edge", 0, 0, 1000);
    c.summary = pick<Summary>(text(j, "summary"),
                              {{"max", Summary::max},
                               {"min", Summary::min},
                               {"median", Summary::median},
                               {"at_end", Summary::at_end},
                               {"at_start", Summary::at_start},
                               {"event", Summary::event}},
                              "summary");
    c.severity = pick<Severity>(text(j, "severity"),
                                {{"safety", Severity::safety},
                                 {"ground", Severity::ground},
                                 {"timing", Severity::timing},
                                 {"shape", Severity::shape},
                                 {"even", Severity::even}},
                                "severity");
    c.good = text(j, "good", false);
    c.cue_low = text(j, "cue_low", false);
    c.cue_high = text(j, "cue_high", false);
    if (c.low && c.cue_low.empty()) throw Bad{c.id + " cue_low"};
    if (c.high && c.cue_high.empty()) throw Bad{c.id + " cue_high"};
    return c;
}

bool same_place(const FootTarget& a, const FootTarget& b) {
    return std::abs(a.x - b.x) < 1e-9 && std::abs(a.z - b.z) < 1e-9 && std::abs(a.toe_out - b.toe_out) < 1e-9;
}

void check_feet(const Posture& from, const Phase& to) {
    auto one = [&](const FootTarget& a, const FootTarget& b) {
        if (!same_place(a, b) && a.contact != Contact::off && b.contact != Contact::off)
            throw Bad{"phase " + to.id + ": a foot slides over the floor"};
    };
    one(from.left_foot, to.posture.left_foot);
    one(from.right_foot, to.posture.right_foot);
    if (to.posture.left_foot.contact == Contact::off && to.posture.right_foot.contact == Contact::off)
        throw Bad{"phase " + to.id + ": both feet off the floor"};
}

std::vector<BandChange> changes(const json& j) {
    std::vector<BandChange> out;
    if (j.size() > 500) throw Bad{"changes"};
    for (const auto& c : j) {
        BandChange b;
        b.rule = text(c, "rule", false);
        b.measure = text(c, "measure", false);
        b.reason = text(c, "reason");
        b.off = c.value("off", false);
        if (c.contains("low")) b.low = number(c, "low", 0, -1e4, 1e4);
        if (c.contains("high")) b.high = number(c, "high", 0, -1e4, 1e4);
        out.push_back(b);
    }
    return out;
}

/// Exceptions of phases become data of the checks: a rule switched off in a phase is not looked at there; another band makes a check of its
/// own for that phase.
void settle_exceptions(Movement& m) {
    std::vector<Check> own;
    std::vector<std::string> whole; // checks of the whole repetition
    for (const auto& c : m.checks)
        if (c.phases.empty()) whole.push_back(c.id);
    for (const auto& ph : m.phases)
        for (const auto& e : ph.exceptions)
            for (auto& c : m.checks) {
                if ((!e.rule.empty() && e.rule != c.rule) || (!e.measure.empty() && e.measure != c.measure)) continue;
                if (c.phases.empty()) {
                    std::erase(whole, c.id);
                    for (const auto& all : m.phases) c.phases.push_back(all.id);
                }
                if (std::erase(c.phases, ph.id) == 0 || e.off) continue;
                Check there = c;
                there.id += "@" + ph.id;
                there.phases = {ph.id};
                there.reason = e.reason;
                there.low = e.low;
                there.high = e.high;
                if ((there.low && there.cue_low.empty()) || (there.high && there.cue_high.empty()))
                    throw Bad{c.id + ": no cue for the band of " + ph.id};
                own.push_back(std::move(there));
            }
    std::erase_if(m.checks, [&](const Check& c) { return c.phases.empty() && std::find(whole.begin(), whole.end(), c.id) == whole.end(); });
    m.checks.insert(m.checks.end(), own.begin(), own.end());
}

Movement read_movement(const json& j) {
    Movement m;
    m.id = text(j, "id");
    m.name = text(j, "name");
    m.kind = text(j, "kind");
    m.about = text(j, "about");
    m.feature = text(j, "driver");
    m.repetitions = static_cast<int>(number(j, "repetitions", 2, 1, 50));
    for (const auto& v : part(j, "best_views", json::value_t::array)) {
        const auto view = v.is_string() ? view_from_name(v.get<std::string>()) : std::nullopt;
        if (!view) throw Bad{"best_views"};
        m.best_views.push_back(*view);
    }
    if (j.contains("cautions"))
        for (const auto& c : part(j, "cautions", json::value_t::array)) m.cautions.push_back(c.get<std::string>());
    m.home = posture(part(j, "home", json::value_t::object), Posture{});
    const auto& phases = part(j, "phases", json::value_t::array);
    if (phases.empty() || phases.size() > 60) throw Bad{"phases"};
    Posture before = m.home;
    for (const auto& p : phases) {
        Phase ph;
        ph.id = text(p, "id");
        ph.name = text(p, "name");
        ph.duration_s = number(p, "duration_s", -1, 0.1, 120);
        if (ph.duration_s < 0) throw Bad{"duration_s"};
        ph.breath = pick<Breath>(text(p, "breath"), {{"in", Breath::in}, {"out", Breath::out}, {"free", Breath::free}}, "breath");
        if (p.contains("easing")) ph.ease = pick<Ease>(text(p, "easing"), {{"flow", Ease::flow}, {"settle", Ease::settle}}, "easing");
        if (p.contains("exceptions")) ph.exceptions = changes(part(p, "exceptions", json::value_t::array));
        ph.ends_at = text(p, "ends_at", false);
        if (!ph.ends_at.empty()) pick<int>(ph.ends_at, {{"foot_off", 0}, {"foot_flat", 1}, {"shift_end", 2}, {"foot_down", 3}}, "ends_at");
        ph.posture = posture(part(p, "posture", json::value_t::object), before);
        check_feet(before, ph);
        before = ph.posture;
        m.phases.push_back(std::move(ph));
    }
    Phase closing = m.phases.back();
    closing.id = "the return home";
    closing.posture = m.home;
    check_feet(m.phases.back().posture, closing);
    for (const auto& c : part(j, "checks", json::value_t::array)) {
        m.checks.push_back(check(c));
        for (const auto& id : m.checks.back().phases)
            if (std::none_of(m.phases.begin(), m.phases.end(), [&](const Phase& p) { return p.id == id; }))
                throw Bad{"check " + m.checks.back().id + ": no phase '" + id + "'"};
    }
    settle_exceptions(m);
    return m;
}

template <class F> auto guarded(const std::string& source, F read) -> Result<decltype(read(json{}))> {
    try {
        const json j = json::parse(source, nullptr, true);
        if (!j.is_object()) return fail(Code::unreadable, "not a JSON object");
        return read(j);
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    } catch (const json::exception& e) {
        return fail(Code::unreadable, e.what());
    }
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

std::string_view severity_name(Severity s) {
    constexpr std::array<std::string_view, 5> n{"safety", "ground", "timing", "shape", "even"};
    return n[static_cast<std::size_t>(s)];
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
    Posture p = home;
    p.weight_left = 0.5;
    p.depth = 1;
    p.pelvis_turn = p.shoulder_turn = p.lean = p.side = p.gaze_turn = p.gaze_pitch = 0;
    p.left_hand = {Level::belly, 0.82, -0.15, 0.12, 35};
    p.right_hand = {Level::belly, -0.82, -0.15, 0.12, 35};
    return p;
}

Result<std::string> read_text(const fs::path& file, std::size_t max_bytes) {
    std::ifstream in(file, std::ios::binary);
    if (!in || fs::is_directory(file)) return fail(Code::cannot_open, file.string());
    std::string s(max_bytes + 1, '\0');
    in.read(s.data(), static_cast<std::streamsize>(s.size()));
    s.resize(static_cast<std::size_t>(in.gcount()));
    if (s.size() > max_bytes) return fail(Code::too_large, file.string());
    return s;
}

Result<Movement> parse_movement(const std::string& source) {
    return guarded(source, read_movement);
}

Result<Movement> load_movement(const fs::path& file) {
    auto source = read_text(file, 1 << 20);
    if (!source) return tl::unexpected(source.error());
    return parse_movement(*source);
}

Result<School> load_school(const fs::path& file) {
    auto source = read_text(file, 1 << 20);
    if (!source) return tl::unexpected(source.error());
    return guarded(*source, [](const json& j) {
        return School{text(j, "id"), text(j, "name"), text(j, "about"), changes(part(j, "changes", json::value_t::array))};
    });
}

void apply(Movement& movement, const std::vector<BandChange>& list) {
    for (const auto& change : list) {
        auto matches = [&](const Check& c) {
            return (change.rule.empty() || change.rule == c.rule) && (change.measure.empty() || change.measure == c.measure);
        };
        if (change.off) {
            std::erase_if(movement.checks, matches);
            continue;
        }
        for (auto& c : movement.checks) {
            if (!matches(c) || c.id.find('@') != std::string::npos) continue;
            c.reason = change.reason;
            if (change.low) c.low = change.low;
            if (change.high) c.high = change.high;
        }
    }
}

std::vector<Movement> load_movements(const fs::path& data_dir, std::vector<Error>* problems) {
    return load_all<Movement>(data_dir / "movements", "movement.schema.json", load_movement, problems);
}

std::vector<School> load_schools(const fs::path& data_dir, std::vector<Error>* problems) {
    return load_all<School>(data_dir / "schools", "school.schema.json", load_school, problems);
}

fs::path find_data_dir(const fs::path& program) {
    if (const char* env = std::getenv("BEVEL_DATA")) return env;
    std::error_code ec;
    fs::path dir = fs::weakly_canonical(program, ec).parent_path();
    for (int up = 0; up < 5 && !dir.empty(); ++up, dir = dir.parent_path())
        for (const auto& candidate : {dir / "data", dir / "share" / "bevel"})
            if (fs::exists(candidate / "movements", ec)) return candidate;
    return fs::current_path(ec) / "data";
}

} // namespace bevel
