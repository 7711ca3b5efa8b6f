// A course as text and back.
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/practice/course.h"
#include "core/practice/fields.h"

namespace bevel {
namespace {

using namespace fields;
constexpr std::size_t most_course_weeks = 2 * most_weeks + 1, most_threads = 400;

/// The value with a name.
template <class Enum, class Name> Enum named(const std::string& name, int count, Name of, const char* where) {
    for (int k = 0; k < count; ++k)
        if (of(static_cast<Enum>(k)) == name) return static_cast<Enum>(k);
    throw Bad{where};
}

CourseWeek week_of(const json& j) {
    CourseWeek w;
    w.from = text(j, "from");
    if (w.from.empty() || !is_day(w.from)) throw Bad{"from"};
    w.kind = named<WeekKind>(text(j, "kind"), 3, week_kind_name, "kind");
    w.pace = number(j, "pace", 0.2, 5);
    w.lesson_minutes = number(j, "lesson_minutes", 0, 180), w.home_minutes = number(j, "home_minutes", 0, 180);
    w.parts = whole(j, "parts", 0, 200), w.ladder = whole(j, "ladder", 0, balance_steps);
    w.clip_asked = flag(j, "clip_asked"), w.clip_looked = flag(j, "clip_looked"), w.missed = flag(j, "missed");
    return w;
}

CourseThread thread_of(const json& j, std::size_t weeks) {
    CourseThread t;
    t.kind = named<ThreadKind>(text(j, "kind"), 4, thread_kind_name, "kind");
    t.of = text(j, "of"), t.rule = text(j, "rule"), t.drill = text(j, "drill");
    t.known = flag(j, "known");
    for (const auto& b : list(j, "beats", most_course_weeks)) {
        if (!b.is_string()) throw Bad{"beats"};
        t.beats.push_back(named<Beat>(b.get<std::string>(), 6, beat_name, "beats"));
    }
    if (t.beats.size() != weeks) throw Bad{"beats"};
    return t;
}

template <class Of> auto each(const json& all, const char* key, Of of) {
    std::vector<decltype(of(all))> out;
    for (const auto& j : all) {
        try {
            if (!j.is_object()) throw Bad{""};
            out.push_back(of(j));
        } catch (const Bad& b) {
            throw Bad{std::string(key) + "/" + std::to_string(out.size()) + "/" + b.where};
        }
    }
    return out;
}

} // namespace

std::string course_text(const Course& course) {
    json weeks = json::array(), threads = json::array(), left = json::array();
    for (const auto& w : course.weeks)
        weeks.push_back({{"from", w.from},
                         {"kind", week_kind_name(w.kind)},
                         {"pace", w.pace},
                         {"lesson_minutes", w.lesson_minutes},
                         {"home_minutes", w.home_minutes},
                         {"parts", w.parts},
                         {"ladder", w.ladder},
                         {"clip_asked", w.clip_asked},
                         {"clip_looked", w.clip_looked},
                         {"missed", w.missed}});
    for (const auto& t : course.threads) {
        json beats = json::array();
        for (const Beat b : t.beats) beats.push_back(beat_name(b));
        threads.push_back({{"kind", thread_kind_name(t.kind)},
                           {"of", t.of},
                           {"rule", t.rule},
                           {"drill", t.drill},
                           {"known", t.known},
                           {"beats", std::move(beats)}});
    }
    for (const auto& l : course.left_out) left.push_back({{"key", l.key}, {"why", left_names[static_cast<std::size_t>(l.code)]}});
    return json{{"bevel_course", 1}, {"weeks", std::move(weeks)}, {"threads", std::move(threads)}, {"left_out", std::move(left)}}.dump(1);
}

Result<Course> parse_course(const std::string& bytes) {
    const auto read = bounded_json(bytes, "course", {.values = 100'000, .depth = 8});
    if (!read) return tl::unexpected(read.error());
    const json& j = *read;
    if (!j.is_object()) return fail(Code::bad_value, "course");
    try {
        (void)whole(j, "bevel_course", 1, 1);
        Course c;
        c.weeks = each(list(j, "weeks", most_course_weeks), "weeks", week_of);
        if (c.weeks.empty()) throw Bad{"weeks"};
        c.threads = each(list(j, "threads", most_threads), "threads", [&](const json& t) { return thread_of(t, c.weeks.size()); });
        c.left_out = each(list(j, "left_out", most_threads), "left_out", [](const json& l) {
            return NotInCourse{
                text(l, "key"),
                named<LeftOut::Code>(
                    text(l, "why"), 8, [](LeftOut::Code k) { return std::string_view(left_names[static_cast<std::size_t>(k)]); }, "why")};
        });
        return c;
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    }
}

} // namespace bevel
