#include "desk/person_sheet.h"
#include "core/plain_number.h"
#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <map>

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
                           into(s.practice, library.practice().of(id)), into(s.tests, library.quiet_tests().of(id))})
        if (!ok) return tl::unexpected(ok.error());
    s.trends = trends_of(std::move(figures));
    s.uneven = asymmetries(s.trends);
    return s;
}

Result<std::vector<HallLine>> hall_lines(const Library& library, const std::string& day) {
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    std::vector<HallLine> out;
    for (const auto& p : *people) {
        HallLine l;
        l.name = p.name;
        const auto record = library.records().lines(p.id);
        if (!record) return tl::unexpected(record.error());
        const RecordLine* newest = nullptr; // the first of the newest clip's
        for (const auto& r : *record)
            if (r.what == RecordLine::What::kept && (!newest || r.day > newest->day)) newest = &r;
        if (newest) l.asked = newest->words, l.check = FindingKey::read(newest->check, newest->side).text();
        const auto agreed = library.decisions().agreements(p.id);
        if (!agreed) return tl::unexpected(agreed.error());
        for (const auto& a : *agreed)
            if (!a.limit().empty() && a.from_day <= day && (a.until_day.empty() || a.until_day >= day)) l.limits.push_back(a);
        out.push_back(std::move(l));
    }
    return out;
}

Result<std::vector<PersonLine>> person_lines(const Library& library) {
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    const auto clips = library.clips().all();
    if (!clips) return tl::unexpected(clips.error());
    const auto due = library.letters().due("9999-12-31");
    if (!due) return tl::unexpected(due.error());
    const auto day = [](const Clip& c) { return c.filmed_on.empty() ? c.arrived_on : c.filmed_on; };
    std::map<std::int64_t, const Clip*> last;
    for (const auto& c : *clips)
        if (auto& now = last[c.person]; !now || day(c) > day(*now) || (day(c) == day(*now) && c.id > now->id)) now = &c;
    std::vector<PersonLine> out;
    for (const auto& p : *people) {
        PersonLine l{p, std::nullopt, {}};
        if (const auto it = last.find(p.id); it != last.end()) l.last = *it->second;
        for (const auto& d : *due)
            if (d.person == p.id && (l.look_again.empty() || d.review_on < l.look_again)) l.look_again = d.review_on;
        out.push_back(std::move(l));
    }
    return out;
}

std::vector<BecameOf> became_of(const PersonSheet& sheet, const std::string& movement) {
    const auto kept = [&](const RecordLine& l) { return l.what == RecordLine::What::kept && l.movement == movement; };
    const RecordLine* newest = nullptr;
    for (const auto& l : sheet.record)
        if (kept(l) && (!newest || l.day > newest->day)) newest = &l;
    std::vector<BecameOf> out;
    for (const auto& l : sheet.record) {
        if (!kept(l) || l.clip != newest->clip) continue;
        BecameOf a{FindingKey::read(l.check, l.side), l.words, l.day};
        if (std::any_of(out.begin(), out.end(), [&](const BecameOf& x) { return x.key == a.key; })) continue;
        for (const auto& t : sheet.trends) {
            const auto& p = t.points.back();
            if (p.movement == movement && p.check == a.key.check && p.side == a.key.side_text()) a.trend = &t;
        }
        a.told_since = a.trend && a.trend->points.back().day > l.day;
        for (const auto& letter : sheet.letters)
            if (letter.clip == l.clip && !letter.sent_on.empty()) a.day = letter.sent_on;
        out.push_back(std::move(a));
    }
    return out;
}

const KeptFigure* changed_from(const FigureTrend& t) {
    const auto& line = newest_line(t);
    if (!t.last || line.size() < 2) return nullptr;
    const bool whole_way = t.last->turn == Turn::none && t.since_first && t.since_first->turn == Turn::better;
    return &t.points[whole_way ? line.front() : line[line.size() - 2]];
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

std::string tests_csv(const std::vector<KeptTest>& tests) {
    std::string out = csv_line({"day", "test", "figure", "side", "value", "sigma", "unit", "view", "notes", "words"});
    for (const auto& t : tests) {
        std::string notes;
        for (const auto& n : t.notes) notes += (notes.empty() ? "" : " ") + n;
        for (const auto& f : t.figures)
            out += csv_line({t.day, std::string(quiet_test_name(t.test)), f.id, f.side ? std::string(side_name(*f.side)) : std::string(),
                             plain(f.value), plain(f.sigma), f.unit, t.view, notes, t.words});
    }
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
