#include "desk/courses.h"
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/practice/fields.h"
#include "core/review/trend.h"
#include "desk/classes.h"
#include "desk/open_review.h"
#include <algorithm>

namespace bevel {
namespace {

using namespace fields;
constexpr int settled_days = 14;
constexpr int most_looked_at = 6;
constexpr int looked_back_days = 84;
constexpr std::size_t most_common = 3;
constexpr std::size_t most_wanted = 1000, most_begins = 200, most_basis = 20'000;

bool is_active(Beat b) {
    return b != Beat::not_yet && b != Beat::rests;
}

/// Whether a correction is inside beyond its error in this clip; nothing where what was asked for is not told, as from another side.
Result<std::optional<bool>> inside_for_sure(const Library& library, const Forms& forms, std::int64_t clip, const AskedFor& asked) {
    const auto open = load_review(library, forms, clip, {});
    if (!open) { // one that has no points yet, or cannot be judged, says nothing; one that cannot be read settles nothing
        const bool silent = open.error().code == Code::not_found || open.error().code == Code::cannot_judge;
        return silent ? std::optional<bool>() : std::optional(false);
    }
    bool told = false;
    for (const auto& f : (*open)->review->findings) {
        if (f.rule != asked.rule || f.verdict == Verdict::cannot_tell) continue;
        if (f.verdict != Verdict::inside || !f.sure) return std::optional(false);
        told = told || asked.check.empty() || f.check == asked.check;
    }
    return told ? std::optional(true) : std::nullopt;
}

/// Where a thread is new next: the first week from `now` on in which it begins or grows; 0: in none.
int new_in(const CourseThread& t, std::size_t now) {
    for (std::size_t w = now; w < t.beats.size(); ++w)
        if (t.beats[w] == Beat::begins || t.beats[w] == Beat::grows) return static_cast<int>(w) + 1;
    return 0;
}
bool comes(const CourseThread& t, std::size_t now) {
    return now < t.beats.size() && std::any_of(t.beats.begin() + static_cast<std::ptrdiff_t>(now), t.beats.end(), is_active);
}
const CourseThread* thread_of(const Course& c, const std::string& key) {
    const auto it = std::find_if(c.threads.begin(), c.threads.end(), [&](const CourseThread& t) { return t.key() == key; });
    return it == c.threads.end() ? nullptr : &*it;
}

/// One damaged course hides no other.
std::pair<std::vector<CourseOf>, int> read_kept(const std::vector<KeptCourse>& kept) {
    std::pair<std::vector<CourseOf>, int> out;
    for (const auto& k : kept) {
        auto wish = parse_wish(k.wish);
        auto made = parse_course(k.weeks);
        if (wish && made)
            out.first.push_back({k.id, k.person, k.title, std::move(wish->first), std::move(*made), std::move(wish->second), k.group});
        else
            ++out.second;
    }
    return out;
}

} // namespace

std::string wish_text(const CourseWish& w, const std::string& made_of) {
    return json{{"made_of", made_of},
                {"bevel_course_wish", 1},
                {"from", w.from},
                {"weeks", w.weeks},
                {"lessons", w.lessons},
                {"home_days", w.home_days},
                {"lesson_minutes", w.lesson_minutes},
                {"home_minutes", w.home_minutes},
                {"slide", w.slide},
                {"wanted", w.wanted},
                {"form", w.form},
                {"form_known", w.form_known},
                {"themes", w.themes},
                {"chair", w.chair},
                {"wall", w.wall},
                {"stick", w.stick},
                {"begins", w.begins}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<std::pair<CourseWish, std::string>> parse_wish(const std::string& bytes) {
    const auto read = bounded_json(bytes, "wish", {.values = 5000, .depth = 4});
    if (!read) return tl::unexpected(read.error());
    const json& j = *read;
    if (!j.is_object()) return fail(Code::bad_value, "wish");
    try {
        (void)whole(j, "bevel_course_wish", 1, 1);
        CourseWish w;
        w.from = text(j, "from");
        if (w.from.empty() || !is_day(w.from)) throw Bad{"from"};
        w.weeks = whole(j, "weeks", least_weeks, most_weeks);
        w.lessons = whole(j, "lessons", 0, 7), w.home_days = whole(j, "home_days", 0, 7);
        w.lesson_minutes = number(j, "lesson_minutes", 4, 180), w.home_minutes = number(j, "home_minutes", 4, 180);
        w.slide = flag(j, "slide");
        for (const auto& v : list(j, "wanted", most_wanted)) {
            if (!v.is_string() || v.get_ref<const std::string&>().size() > 400) throw Bad{"wanted"};
            w.wanted.push_back(v);
        }
        w.form = text(j, "form"), w.form_known = whole(j, "form_known", 0, 200);
        for (auto& t : texts(j, "themes")) w.themes.insert(std::move(t));
        w.chair = flag(j, "chair"), w.wall = flag(j, "wall"), w.stick = flag(j, "stick");
        if (!j.contains("begins") || !j["begins"].is_object() || j["begins"].size() > most_begins) throw Bad{"begins"};
        for (const auto& [key, v] : j["begins"].items()) w.begins[key] = whole(j["begins"], key.c_str(), 1, 2 * most_weeks);
        return std::pair{w, text(j, "made_of", most_basis)};
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    }
}

Result<std::int64_t> keep_course(Library& library, const CourseOf& c) {
    return library.courses().keep({c.id, c.person, c.title, wish_text(c.wish, c.made_of), course_text(c.made), c.group});
}

Result<std::set<std::string>> settled_corrections(const Library& library, const Forms& forms, std::int64_t person,
                                                  const std::vector<AskedFor>& asked) {
    std::set<std::string> out;
    ClipQuery of;
    of.person = person;
    const auto found = library.clips().find(of);
    if (!found) return tl::unexpected(found.error());
    std::vector<Clip> clips = *found;
    const auto day = [](const Clip& c) { return c.filmed_on.empty() ? c.arrived_on : c.filmed_on; };
    std::stable_sort(clips.begin(), clips.end(), [&](const Clip& a, const Clip& b) { return day(a) > day(b); });
    for (const auto& a : asked) {
        std::optional<double> newest;
        int looked = 0;
        for (const auto& c : clips) {
            if (c.movement != a.movement || day(c).empty() || looked == most_looked_at) continue;
            ++looked;
            const auto inside = inside_for_sure(library, forms, c.id, a);
            if (!inside) return tl::unexpected(inside.error());
            if (!*inside) continue; // this one does not tell it
            if (!**inside) break;
            const double at = day_number(day(c));
            if (!newest) newest = at;
            if (*newest - at >= settled_days) {
                out.insert(CourseThread{ThreadKind::rule, a.movement, a.rule, "", false, {}}.key());
                break;
            }
        }
    }
    return out;
}

Result<CourseSheet> course_sheet(const Library& library, const Forms& forms, std::int64_t person, const std::string& today) {
    CourseSheet s;
    auto known = person_needs(library, person, today, forms);
    if (!known) return tl::unexpected(known.error());
    s.name = known->person.name;
    know_person(s.known, *known);
    s.weak = std::move(known->weak);
    auto settled = settled_corrections(library, forms, person, s.known.asked);
    if (!settled) return tl::unexpected(settled.error());
    s.settled = std::move(*settled);
    const auto kept = library.courses().of(person);
    if (!kept) return tl::unexpected(kept.error());
    std::tie(s.courses, s.unreadable) = read_kept(*kept);
    const auto log = library.practice().of(person);
    ClipQuery of;
    of.person = person;
    const auto clips = library.clips().find(of);
    const auto classes = library.classes().all();
    if (!log) return tl::unexpected(log.error());
    if (!clips) return tl::unexpected(clips.error());
    if (!classes) return tl::unexpected(classes.error());
    for (const auto& l : *log) s.done_on.insert(l.day);
    const auto recent = days_after(today, -settled_days);
    for (const auto& l : *log) // newest first
        if (!l.pain.empty() && l.day >= recent && l.day <= today) {
            s.pain = l.pain, s.pain_on = l.day;
            break;
        }
    for (const auto& c : *clips) s.done_on.insert(c.filmed_on.empty() ? c.arrived_on : c.filmed_on);
    for (const auto& g : *classes) {
        const auto lessons = library.classes().lessons(g.id);
        if (!lessons) return tl::unexpected(lessons.error());
        for (const auto& l : *lessons)
            if (l.held &&
                std::any_of(l.people.begin(), l.people.end(), [&](const LessonPerson& p) { return p.person == person && p.here; }))
                s.done_on.insert(l.day);
    }
    return s;
}

Result<std::pair<std::vector<CourseOf>, int>> courses_of_class(const Library& library, std::int64_t group) {
    const auto kept = library.courses().of_class(group);
    if (!kept) return tl::unexpected(kept.error());
    return read_kept(*kept);
}

Result<CourseSheet> class_course_sheet(const Library& library, const Forms& forms, std::int64_t group, const std::string& today) {
    auto of = class_sheet(library, group, today, forms);
    if (!of) return tl::unexpected(of.error());
    CourseSheet s;
    s.name = of->group.name;
    s.group = group;
    Lesson everybody;
    for (const auto& m : of->members) everybody.people.push_back({m.person.id, true, {}});
    s.known = needs_of_class({}, there_on(*of, everybody));
    s.known.asked.clear();
    const auto figures = figures_of_class(library, *of, days_after(today, -looked_back_days), today);
    if (!figures) return tl::unexpected(figures.error());
    for (const auto& f : common_faults(*figures))
        if (s.known.asked.size() < most_common) s.known.asked.push_back({.movement = f.movement, .rule = f.rule, .drill = {}});
    std::map<std::string, std::map<int, int>> weak;
    for (const auto& m : of->members)
        for (const auto& [form, parts] : m.weak)
            for (const int part : parts) ++weak[form][part];
    for (const auto& [form, parts] : weak)
        for (const auto& [part, people] : parts)
            if (people > 1) s.weak[form].push_back(part);
    for (const auto& l : of->lessons)
        if (l.held) s.done_on.insert(l.day);
    s.courses = std::move(of->courses);
    s.unreadable = of->unreadable;
    return s;
}

std::string basis_of(const CourseSheet& s) {
    std::set<std::string> asked;
    for (const auto& a : s.known.asked) asked.insert(CourseThread{ThreadKind::rule, a.movement, a.rule, "", false, {}}.key());
    return json{{"limits", s.known.limits}, {"asked", asked}, {"settled", s.settled}, {"ladder", s.known.balance_step}}.dump(
        -1, ' ', false, json::error_handler_t::replace);
}

CourseNeeds needs_of_course(const CourseWish& w, const CourseSheet& sheet, const Forms& forms) {
    CourseNeeds n;
    n.needs = sheet.known;
    n.needs.wanted = w.wanted;
    n.needs.themes = w.themes;
    n.needs.chair = w.chair, n.needs.wall = w.wall, n.needs.stick = w.stick;
    if (!w.form.empty())
        if (const auto f = forms.form(std::string(form_prefix) + w.form)) n.needs.form = grow_form(*f, sheet.weak, w.form_known);
    n.from = w.from;
    n.weeks = w.weeks, n.lessons = w.lessons, n.home_days = sheet.group != 0 ? 0 : w.home_days;
    n.lesson_minutes = w.lesson_minutes, n.home_minutes = w.home_minutes;
    n.slide = w.slide;
    n.begins = w.begins;
    n.settled = sheet.settled;
    return n;
}

std::vector<Movement> movements_of_course(const CourseWish& w, const Forms& forms) {
    const auto f = w.form.empty() ? nullptr : forms.form(std::string(form_prefix) + w.form);
    return f ? with_pieces(*forms.movements, *f, false) : *forms.movements;
}

Result<Course> make_course(const CourseWish& wish, const CourseSheet& sheet, const Forms& forms, const Course* so_far,
                           const std::string& today) {
    const auto needs = needs_of_course(wish, sheet, forms);
    const auto movements = movements_of_course(wish, forms);
    const std::size_t now = so_far ? weeks_over(*so_far, today) : 0;
    auto made = propose_course(needs, movements, now > 0 ? so_far : nullptr, now);
    if (!made && now > 0 && now >= so_far->weeks.size() && made.error().context == "now") return *so_far; // it is over, and stays
    return made;
}

std::vector<std::size_t> quiet_weeks(const Course& course, const std::set<std::string>& done_on, const std::string& today) {
    std::vector<std::size_t> out;
    for (std::size_t w = 0; w < weeks_over(course, today); ++w) {
        const auto& week = course.weeks[w];
        const auto first = done_on.lower_bound(week.from);
        if (!week.missed && (first == done_on.end() || *first >= days_after(week.from, 7))) out.push_back(w);
    }
    return out;
}

std::vector<CourseChange> changes_of(const Course& before, const Course& after, std::size_t now) {
    using C = CourseChange::Code;
    std::vector<CourseChange> out;
    if (before == after) return out;
    if (before.weeks.size() != after.weeks.size())
        out.push_back({before.weeks.size() < after.weeks.size() ? C::longer : C::shorter, "", static_cast<int>(before.weeks.size()),
                       static_cast<int>(after.weeks.size())});
    for (const auto& t : before.threads) {
        const auto* then = thread_of(after, t.key());
        if (comes(t, now) && (!then || !comes(*then, now))) out.push_back({C::goes_out, t.key(), 0, 0});
    }
    for (const auto& t : after.threads) {
        const auto* was = thread_of(before, t.key());
        const int to = new_in(t, now);
        if (comes(t, now) && (!was || !comes(*was, now)))
            out.push_back({C::comes_in, t.key(), 0, to});
        else if (was && new_in(*was, now) != to)
            out.push_back({C::moved, t.key(), new_in(*was, now), to});
    }
    if (out.empty()) out.push_back({C::other, "", static_cast<int>(now) + 1, 0});
    return out;
}

} // namespace bevel
