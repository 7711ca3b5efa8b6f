// A list of people as CSV.
#include "core/days.h"
#include "core/plain_number.h"
#include "store/bundle.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

/// Fields of RFC 4180 text; nothing for a quote that is never closed.
std::optional<std::vector<std::vector<std::string>>> fields_of(const std::string& text, char between) {
    std::vector<std::vector<std::string>> lines(1);
    std::string field;
    bool quoted = false;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted) {
            if (c != '"')
                field += c;
            else if (i + 1 < text.size() && text[i + 1] == '"')
                field += '"', ++i;
            else
                quoted = false;
        } else if (c == '"' && field.empty()) {
            quoted = true;
        } else if (c == between || c == '\n') {
            lines.back().push_back(std::exchange(field, {}));
            if (c == '\n') lines.emplace_back();
        } else if (c != '\r') {
            field += c;
        }
    }
    if (quoted) return std::nullopt;
    lines.back().push_back(field);
    std::erase_if(lines, [](const auto& l) { return std::all_of(l.begin(), l.end(), [](const auto& f) { return f.empty(); }); });
    return lines;
}

} // namespace

Result<std::vector<ListedPerson>> people_from_csv(const std::string& source) {
    if (source.size() > (4U << 20U)) return fail(Code::too_large, "list");
    const std::string all = source.starts_with("\xEF\xBB\xBF") ? source.substr(3) : source;
    const std::string head = all.substr(0, all.find('\n'));
    const auto lines = fields_of(all, head.find(';') != std::string::npos ? ';' : ',');
    if (!lines || lines->empty()) return fail(Code::bad_value, "line 1: name");
    std::map<std::string, std::size_t> at;
    for (std::size_t i = 0; i < lines->front().size(); ++i) {
        std::string key = lines->front()[i];
        std::transform(key.begin(), key.end(), key.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
        at[key] = i;
    }
    if (!at.contains("name")) return fail(Code::bad_value, "line 1: name");
    std::vector<ListedPerson> out;
    for (std::size_t n = 1; n < lines->size(); ++n) {
        const auto& line = (*lines)[n];
        const auto get = [&](const char* key) {
            const auto it = at.find(key);
            return it == at.end() || it->second >= line.size() ? std::string() : line[it->second];
        };
        const auto wrong = [&](const char* what) { return fail(Code::bad_value, "line " + std::to_string(n + 1) + ": " + what); };
        ListedPerson p;
        p.person.name = get("name");
        if (p.person.name.empty() || p.person.name.size() > 200) return wrong("name");
        if (std::string h = get("height_cm"); !h.empty()) {
            std::replace(h.begin(), h.end(), ',', '.');
            const auto cm = plain_number(h);
            if (!cm || !(*cm >= 80 && *cm <= 250)) return wrong("height_cm");
            p.person.stature_m = *cm / 100;
            p.has_height = true;
        }
        p.person.height_said = p.has_height;
        p.person.notes = get("notes");
        p.facts.alias = get("alias"), p.facts.language = get("language"), p.facts.email = get("email"), p.facts.goals = get("goals");
        // A code as "en", "pt_BR"; of a language that Bevel does not speak, letters are written in the one it does.
        const auto& code = p.facts.language;
        const bool letters = std::all_of(code.begin(), code.end(), [](unsigned char c) { return std::isalpha(c) || c == '_'; });
        if (!letters || code.size() == 1 || code.size() > 8) return wrong("language");
        out.push_back(std::move(p));
    }
    return out;
}

} // namespace bevel
