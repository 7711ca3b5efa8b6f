#include "desk/needs_file.h"
#include "core/bounded_json.h"
#include "core/form/pieces.h"
#include "core/movement/rules.h"
#include <algorithm>

namespace bevel {
namespace {

using nlohmann::json;

struct Bad {
    std::string why;
};

bool known(const std::vector<std::string>& all, const std::string& name) {
    return std::find(all.begin(), all.end(), name) != all.end();
}

class Reader {
public:
    Reader(const json& j, const std::vector<Movement>& movements) : j_(j), movements_(movements) {}

    void number(const char* key, double& to, double low, double high) const {
        const auto it = j_.find(key);
        if (it == j_.end()) return;
        if (!it->is_number() || !(it->get<double>() >= low && it->get<double>() <= high))
            throw Bad{std::string(key) + ": a number from " + plain(low) + " to " + plain(high)};
        to = it->get<double>();
    }
    void whole(const char* key, int& to, int low, int high) const {
        const auto it = j_.find(key);
        if (it == j_.end()) return;
        if (!it->is_number_integer() || it->get<std::int64_t>() < low || it->get<std::int64_t>() > high)
            throw Bad{std::string(key) + ": a whole number from " + std::to_string(low) + " to " + std::to_string(high)};
        to = it->get<int>();
    }
    void flag(const char* key, bool& to) const {
        const auto it = j_.find(key);
        if (it == j_.end()) return;
        if (!it->is_boolean()) throw Bad{std::string(key) + ": true or false"};
        to = it->get<bool>();
    }
    std::vector<std::string> names(const char* key, const std::vector<std::string>* of) const {
        std::vector<std::string> out;
        const auto it = j_.find(key);
        if (it == j_.end()) return out;
        if (!it->is_array() || it->size() > 200) throw Bad{std::string(key) + ": a list of names"};
        for (const auto& v : *it) {
            if (!v.is_string()) throw Bad{std::string(key) + ": a list of names"};
            out.push_back(v.get<std::string>());
            if (of && !known(*of, out.back())) throw Bad{std::string(key) + ": '" + out.back() + "' is not known"};
        }
        return out;
    }
    std::vector<std::string> movements(const char* key) const {
        auto out = names(key, nullptr);
        for (const auto& id : out) (void)movement(key, id);
        return out;
    }
    const Movement& movement(const char* key, const std::string& id) const {
        const auto* m = movement_named(movements_, id);
        if (!m) throw Bad{std::string(key) + ": no movement '" + id + "'"};
        return *m;
    }

private:
    static std::string plain(double v) {
        std::string s = std::to_string(v);
        s.erase(s.find_last_not_of('0') + 1);
        if (s.ends_with('.')) s.pop_back();
        return s;
    }
    const json& j_;
    const std::vector<Movement>& movements_;
};

AskedFor asked_of(const json& j, const Reader& r) {
    if (!j.is_object()) throw Bad{"asked: a list of {movement, rule, drill, a_side, hold_s}"};
    for (const auto& [key, v] : j.items())
        if (!known({"movement", "rule", "drill", "a_side", "hold_s"}, key)) throw Bad{"asked: '" + key + "' is not known"};
    const auto word = [&](const char* key) -> std::string {
        if (!j.contains(key)) return {};
        if (!j[key].is_string()) throw Bad{std::string("asked: ") + key};
        return j[key].get<std::string>();
    };
    AskedFor a{word("movement"), word("rule"), word("drill")};
    const Movement& m = r.movement("asked", a.movement);
    if (!a.rule.empty() && !rule_book().find(a.rule)) throw Bad{"asked: no rule '" + a.rule + "'"};
    if (!a.drill.empty() && std::none_of(m.drills.begin(), m.drills.end(), [&](const Drill& d) { return d.name == a.drill; }))
        throw Bad{"asked: '" + a.movement + "' has no drill '" + a.drill + "'"};
    const Reader own(j, {});
    own.whole("a_side", a.a_side, 0, 50);
    own.number("hold_s", a.hold_s, 0, 600);
    return a;
}

/// {"id", "known", "weak", "mirrored", "recall"}.
FormToGrow form_of(const json& j, const std::vector<Movement>& movements, const std::vector<LinkedForm>& linked) {
    const char* const what = "form: {id, known, weak, mirrored, recall}";
    if (!j.is_object()) throw Bad{what};
    for (const auto& [key, v] : j.items())
        if (!known({"id", "known", "weak", "mirrored", "recall"}, key)) throw Bad{"form: '" + key + "' is not known"};
    if (!j.contains("id") || !j["id"].is_string()) throw Bad{what};
    const auto id = j["id"].get<std::string>();
    const auto it = std::find_if(linked.begin(), linked.end(), [&](const LinkedForm& f) { return f.id == id; });
    if (it == linked.end()) throw Bad{"form: no form '" + id + "'"};
    FormToGrow out;
    out.form = id;
    out.steps = steps_of(*it);
    const int count = out.steps.back().second;
    const Reader own(j, movements);
    try {
        own.whole("known", out.known, 0, count);
        own.flag("mirrored", out.mirrored), own.flag("recall", out.recall);
    } catch (const Bad& b) {
        throw Bad{"form: " + b.why};
    }
    if (j.contains("weak")) {
        if (!j["weak"].is_array() || j["weak"].size() > 20) throw Bad{"form: weak: numbers of parts"};
        for (const auto& w : j["weak"]) {
            if (!w.is_number_integer() || w.get<std::int64_t>() < 1 || w.get<std::int64_t>() > count)
                throw Bad{"form: weak: numbers of parts"};
            out.weak.push_back(w.get<int>());
        }
    }
    return out;
}

} // namespace

const std::vector<std::string>& limit_names_of_needs() {
    static const std::vector<std::string> n{"no_overhead", "no_balance", "seated",        "no_bends",  "no_twists",
                                            "high_stance", "care_knees", "care_low_back", "care_neck", "care_shoulders"};
    return n;
}
const std::vector<std::string>& care_names() {
    static const std::vector<std::string> n{"neck", "low_back", "shoulders", "knees", "wrists", "hips"};
    return n;
}

Result<Needs> parse_needs(const std::string& text, const std::vector<Movement>& movements, const std::vector<LinkedForm>& linked) {
    if (text.size() > (1U << 20U)) return fail(Code::too_large, "needs");
    const auto read = bounded_json(text, "needs", {20000, 8});
    if (!read || !read->is_object()) return fail(Code::bad_value, "not an object in JSON");
    const json& parsed = *read;
    static const std::vector<std::string> keys{
        "minutes",   "pace",     "breath_s", "limits", "care", "energy", "dizzy",        "unsteady", "asked", "themes",   "wanted",
        "practised", "versions", "sequence", "chair",  "wall", "stick",  "balance_step", "helper",   "seed",  "steadier", "form"};
    try {
        for (const auto& [key, v] : parsed.items())
            if (!known(keys, key)) throw Bad{"'" + key + "' is not known"};
        const Reader r(parsed, movements);
        Needs n;
        r.number("minutes", n.minutes, 4, 180);
        r.number("pace", n.pace, 0.5, 3);
        r.number("breath_s", n.breath_s, 2, 60);
        for (auto& l : r.names("limits", &limit_names_of_needs())) n.limits.insert(l);
        for (auto& c : r.names("care", &care_names())) n.care.insert(c);
        int energy = -1;
        r.whole("energy", energy, 0, 10);
        if (energy >= 0) n.energy = energy;
        r.flag("dizzy", n.dizzy), r.flag("unsteady", n.unsteady), r.flag("helper", n.helper);
        r.flag("chair", n.chair), r.flag("wall", n.wall), r.flag("stick", n.stick);
        for (auto& t : r.names("themes", nullptr)) n.themes.insert(t);
        n.wanted = r.movements("wanted"), n.practised = r.movements("practised"), n.sequence = r.movements("sequence");
        if (parsed.contains("form")) n.form = form_of(parsed["form"], movements, linked);
        r.whole("balance_step", n.balance_step, 0, balance_steps);
        int seed = 0;
        r.whole("seed", seed, 0, 2000000000);
        n.seed = static_cast<std::uint64_t>(seed);
        if (parsed.contains("steadier")) {
            const auto& s = parsed["steadier"];
            if (s != "left" && s != "right" && s != "") throw Bad{"steadier: left or right"};
            n.steadier = s.get<std::string>();
        }
        if (parsed.contains("versions")) {
            if (!parsed["versions"].is_object()) throw Bad{"versions: {movement: version}"};
            for (const auto& [id, v] : parsed["versions"].items()) {
                const Movement& m = r.movement("versions", id);
                if (!v.is_string()) throw Bad{"versions: {movement: version}"};
                const auto name = v.get<std::string>();
                if (std::none_of(m.versions.begin(), m.versions.end(), [&](const Version& x) { return x.name == name; }))
                    throw Bad{"versions: '" + id + "' has no version '" + name + "'"};
                n.versions[id] = name;
            }
        }
        if (parsed.contains("asked")) {
            if (!parsed["asked"].is_array() || parsed["asked"].size() > 20)
                throw Bad{"asked: a list of {movement, rule, drill, a_side, hold_s}"};
            for (const auto& a : parsed["asked"]) n.asked.push_back(asked_of(a, r));
        }
        return n;
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.why);
    }
}

Result<CourseNeeds> parse_course_needs(const std::string& text, const std::vector<Movement>& movements,
                                       const std::vector<LinkedForm>& linked) {
    if (text.size() > (1U << 20U)) return fail(Code::too_large, "needs");
    auto read = bounded_json(text, "needs", {20000, 8});
    if (!read || !read->is_object()) return fail(Code::bad_value, "not an object in JSON");
    const json course = read->value("course", json());
    if (!course.is_object()) return fail(Code::bad_value, "course: {from, weeks, ...}");
    read->erase("course");
    auto needs = parse_needs(read->dump(), movements, linked);
    if (!needs) return tl::unexpected(needs.error());
    CourseNeeds n;
    n.needs = std::move(*needs);
    static const std::vector<std::string> keys{"from",         "weeks", "lessons", "lesson_minutes", "home_days",
                                               "home_minutes", "slide", "begins",  "settled"};
    try {
        for (const auto& [key, v] : course.items())
            if (!known(keys, key)) throw Bad{"'" + key + "' is not known"};
        const Reader r(course, movements);
        if (!course.contains("from") || !course["from"].is_string()) throw Bad{"from: a day, as 2026-12-07"};
        n.from = course["from"].get<std::string>();
        r.whole("weeks", n.weeks, least_weeks, most_weeks);
        r.whole("lessons", n.lessons, 0, 7), r.whole("home_days", n.home_days, 0, 7);
        r.number("lesson_minutes", n.lesson_minutes, 4, 180), r.number("home_minutes", n.home_minutes, 4, 180);
        r.flag("slide", n.slide);
        for (auto& k : r.names("settled", nullptr)) n.settled.insert(k);
        if (course.contains("begins")) {
            if (!course["begins"].is_object()) throw Bad{"begins: {thread: week}"};
            const Reader own(course["begins"], movements);
            for (const auto& [key, v] : course["begins"].items()) own.whole(key.c_str(), n.begins[key], 1, 2 * most_weeks);
        }
        return n;
    } catch (const Bad& b) {
        return fail(Code::bad_value, "course: " + b.why);
    }
}

} // namespace bevel
