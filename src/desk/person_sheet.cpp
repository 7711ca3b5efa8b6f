#include "desk/person_sheet.h"
#include "core/plain_number.h"
#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>

namespace bevel {
namespace {

/// A field that holds commas, quotes or line ends is quoted, and quotes in it are doubled.
std::string csv_field(const std::string& s) {
    // What a spreadsheet would take for a formula is text; only what is a number from end to end is one.
    const bool formula = !s.empty() && std::string_view("=+-@\t\r\n|%").find(s[0]) != std::string_view::npos && !plain_number(s);
    const std::string safe = formula ? "'" + s : s;
    if (safe.find_first_of(",\"\r\n") == std::string::npos) return safe;
    std::string out = "\"";
    for (const char c : safe) out += c == '"' ? std::string("\"\"") : std::string(1, c);
    return out + "\"";
}

std::string csv_line(const std::vector<std::string>& fields) {
    std::string out;
    for (const auto& f : fields) out += (&f == &fields.front() ? "" : ",") + csv_field(f);
    return out + "\r\n";
}

std::string plain(double v) {
    std::array<char, 32> b{};
    const auto [end, ec] = std::to_chars(b.data(), b.data() + b.size(), v, std::chars_format::general, 6);
    return ec == std::errc() ? std::string(b.data(), end) : std::string();
}

} // namespace

Result<PersonSheet> load_person(const Library& library, std::int64_t id) {
    PersonSheet s;
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    for (const auto& p : *people)
        if (p.id == id) s.person = p;
    if (s.person.id == 0) return fail(Code::not_found, "person");
    const auto into = [](auto& to, auto result) -> Result<bool> {
        if (!result) return tl::unexpected(result.error());
        to = std::move(*result);
        return true;
    };
    std::vector<KeptFigure> figures;
    for (const auto& ok : {into(s.facts, library.people().facts(id)), into(s.agreements, library.decisions().agreements(id)),
                           into(s.record, library.records().lines(id)), into(figures, library.records().figures(id)),
                           into(s.unmeasured, library.records().without_figures(id)), into(s.letters, library.letters().lines(id)),
                           into(s.practice, library.practice().of(id))})
        if (!ok) return tl::unexpected(ok.error());
    s.trends = trends_of(std::move(figures));
    s.uneven = asymmetries(s.trends);
    return s;
}

const std::vector<std::size_t>& newest_line(const FigureTrend& t) {
    return *std::find_if(t.lines.begin(), t.lines.end(), [&](const auto& line) { return line.back() == t.points.size() - 1; });
}

std::string record_csv(const PersonSheet& sheet) {
    static constexpr std::array<const char*, 7> names{"clip", "correction kept", "remark", "letter", "agreed", "practice", "condition"};
    std::string out = csv_line({"day", "what", "movement", "view", "check", "side", "words"});
    for (const auto& l : sheet.record)
        out += csv_line({l.day, names[static_cast<std::size_t>(l.what)], l.movement, l.view, l.check, l.side, l.words});
    return out;
}

std::string figures_csv(const PersonSheet& sheet) {
    std::string out =
        csv_line({"day", "clip", "movement", "view", "check", "measure", "side", "value", "sigma", "unit", "low", "high", "repetitions"});
    for (const auto& t : sheet.trends)
        for (const auto& p : t.points)
            out += csv_line({p.day, std::to_string(p.clip), p.movement, p.view, p.check, p.measure, p.side, plain(p.value),
                             plain(std::hypot(p.own, std::hypot(p.of_clip, p.person))), p.unit, p.low ? plain(*p.low) : "",
                             p.high ? plain(*p.high) : "", std::to_string(p.judged)});
    return out;
}

std::string practice_csv(const std::vector<PracticeLog>& log) {
    std::string out = csv_line({"day", "title", "minutes", "effort", "felt", "pain", "movement", "kind", "left", "right", "seconds"});
    for (const auto& l : log) {
        const std::string effort = l.effort ? std::to_string(*l.effort) : "";
        if (l.done.empty()) out += csv_line({l.day, l.title, plain(l.minutes), effort, l.felt, l.pain, "", "", "", "", ""});
        for (const auto& d : l.done)
            out += csv_line({l.day, l.title, plain(l.minutes), effort, l.felt, l.pain, d.movement, d.kind, std::to_string(d.left),
                             std::to_string(d.right), plain(d.seconds)});
    }
    return out;
}

} // namespace bevel
