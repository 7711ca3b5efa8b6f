#include "core/form/form.h"
#include "core/catalogue/catalogue.h"
#include "core/json_reader.h"

namespace bevel {
namespace {

using namespace reading;
constexpr std::size_t most_parts = 200;
constexpr int most_repeats = 60;

FormPart form_part(const json& j) {
    only(j, {"movement", "version", "name", "group", "side", "repeats", "alternate", "from", "until", "turn", "pace"});
    FormPart p;
    p.movement = text(j, "movement");
    if (p.movement.empty()) throw Bad{"movement"};
    p.version = text(j, "version", false);
    if (j.contains("name")) p.name = text(j, "name");
    p.group = text(j, "group", false);
    if (j.contains("side")) p.side = pick<Side>(text(j, "side"), {{"left", Side::left}, {"right", Side::right}}, "side");
    const double repeats = number(j, "repeats", 1, 1, most_repeats);
    if (repeats != std::floor(repeats)) throw Bad{"repeats"};
    p.repeats = static_cast<int>(repeats);
    p.alternate = flag(j, "alternate");
    p.from = text(j, "from", false);
    p.until = text(j, "until", false);
    p.turn = number(j, "turn", 0, -360, 360);
    p.pace = number(j, "pace", 1, 0.3, 4);
    return p;
}

LinkedForm read_form(const json& j) {
    only(j, {"$schema", "id", "name", "about", "kind", "pinyin", "parts", "join_s", "cautions", "schools"});
    LinkedForm f;
    f.id = identifier(j, "id");
    f.name = text(j, "name");
    if (f.name.empty()) throw Bad{"name"};
    f.about = text(j, "about", false);
    f.kind = text(j, "kind", false);
    f.pinyin = text(j, "pinyin", false);
    f.join_s = number(j, "join_s", f.join_s, 0.4, 6);
    const auto names = [&](const char* key) {
        std::vector<std::string> out;
        if (j.contains(key))
            for (const auto& s : part(j, key, json::value_t::array)) {
                if (!s.is_string() || out.size() >= 20) throw Bad{key};
                out.push_back(s.get<std::string>());
            }
        return out;
    };
    f.cautions = names("cautions");
    for (const auto& c : f.cautions)
        if (std::find(caution_names().begin(), caution_names().end(), c) == caution_names().end())
            throw Bad{"cautions: '" + c + "' is not known"};
    f.schools = names("schools");
    const auto& parts = part(j, "parts", json::value_t::array);
    if (parts.empty() || parts.size() > most_parts) throw Bad{"parts"};
    int all = 0;
    for (std::size_t k = 0; k < parts.size(); ++k) {
        f.parts.push_back(within("parts " + std::to_string(k + 1), [&] { return form_part(parts[k]); }));
        all += f.parts.back().repeats;
    }
    if (all > static_cast<int>(2 * most_parts)) throw Bad{"parts"};
    return f;
}

} // namespace

Result<LinkedForm> parse_form(const std::string& source) {
    auto f = guarded(source, [](const json& j) { return read_form(j); });
    if (f) f->source = std::make_shared<const std::string>(source);
    return f;
}

std::string form_json(const LinkedForm& f) {
    json parts = json::array();
    for (const auto& p : f.parts) {
        json one{{"movement", p.movement}, {"side", p.side == Side::left ? "left" : "right"}};
        if (!p.version.empty()) one["version"] = p.version;
        if (p.name) one["name"] = *p.name;
        if (!p.group.empty()) one["group"] = p.group;
        if (p.repeats != 1) one["repeats"] = p.repeats;
        if (p.alternate) one["alternate"] = true;
        if (!p.from.empty()) one["from"] = p.from;
        if (!p.until.empty()) one["until"] = p.until;
        if (p.turn != 0) one["turn"] = p.turn;
        if (p.pace != 1) one["pace"] = p.pace;
        parts.push_back(std::move(one));
    }
    json j{{"id", f.id}, {"name", f.name}, {"about", f.about}, {"kind", f.kind}, {"join_s", f.join_s}, {"parts", parts}};
    if (!f.pinyin.empty()) j["pinyin"] = f.pinyin;
    if (!f.cautions.empty()) j["cautions"] = f.cautions;
    if (!f.schools.empty()) j["schools"] = f.schools;
    return j.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

std::vector<LinkedForm> load_forms(const std::filesystem::path& data_dir, std::vector<Error>* problems) {
    std::vector<std::filesystem::path> files;
    std::error_code ec;
    for (const auto& e : std::filesystem::directory_iterator(data_dir / "forms", ec))
        if (e.path().extension() == ".json" && e.path().filename() != "form.schema.json") files.push_back(e.path());
    std::sort(files.begin(), files.end());
    std::vector<LinkedForm> out;
    for (const auto& file : files) {
        const auto text = read_text(file, 1 << 20);
        auto one = text ? parse_form(*text) : Result<LinkedForm>(tl::unexpected(text.error()));
        if (one)
            out.push_back(std::move(*one));
        else if (problems)
            problems->push_back({one.error().code, file.filename().string() + ": " + one.error().context});
    }
    return out;
}

std::optional<Movement> face_of(const LinkedForm& form, std::span<const Movement> movements) {
    std::optional<Movement> face;
    for (const auto& p : form.parts) {
        const auto it = std::find_if(movements.begin(), movements.end(), [&](const Movement& m) { return m.id == p.movement; });
        if (it == movements.end()) continue;
        const Asks asks = asks_of(*it, p.version);
        if (!face) {
            face = *it;
            face->asks = asks;
            face->checks.clear(), face->versions.clear(), face->drills.clear(), face->images.clear(), face->attention.clear();
            face->recorded.reset();
            face->source.reset();
        }
        for (const auto& t : it->trains)
            if (std::find(face->trains.begin(), face->trains.end(), t) == face->trains.end()) face->trains.push_back(t);
        for (const auto& part : Asks::parts()) face->asks.*part.value = std::max(face->asks.*part.value, asks.*part.value);
        for (const auto& c : it->cautions)
            if (std::find(face->cautions.begin(), face->cautions.end(), c) == face->cautions.end()) face->cautions.push_back(c);
    }
    if (!face) return face;
    face->id = clip_id(form);
    face->name = form.name, face->kind = form.kind, face->about = form.about, face->pinyin = form.pinyin;
    face->own = form.own;
    face->twin_of.clear();
    for (const auto& c : form.cautions)
        if (std::find(face->cautions.begin(), face->cautions.end(), c) == face->cautions.end()) face->cautions.push_back(c);
    return face;
}

} // namespace bevel
