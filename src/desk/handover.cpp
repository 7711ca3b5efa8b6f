#include "desk/handover.h"
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/practice/fields.h"
#include "desk/needs_file.h"
#include <algorithm>

namespace bevel {
namespace {

using namespace fields;
constexpr std::size_t most_people = 200, most_lessons = 1000, most_courses = 100, most_known = 1000, most_words = 4000,
                      most_plan = 1U << 20U;

bool is_limit(const std::string& l) {
    const auto& all = limit_names_of_needs();
    return std::find(all.begin(), all.end(), l) != all.end();
}

std::string day(const json& j, const char* key) {
    std::string d = text(j, key, 10);
    if (!is_day(d)) throw Bad{key};
    return d;
}

ClassGroup group(const json& j) {
    ClassGroup g;
    g.name = text(j, "name", 200);
    if (g.name.find_first_not_of(" \t\n") == std::string::npos) throw Bad{"name"};
    g.hall = text(j, "hall", most_words), g.floor = text(j, "floor", most_words), g.at = text(j, "at", 5),
    g.level = text(j, "level", most_words);
    g.taught = text(j, "taught", most_words), g.notes = text(j, "notes", most_words);
    g.weekday = whole(j, "weekday", 0, 7), g.minutes = whole(j, "minutes", 4, 180);
    g.chair = flag(j, "chair"), g.wall = flag(j, "wall"), g.stick = flag(j, "stick");
    return g;
}

HandedPerson person(const json& j) {
    HandedPerson p;
    p.name = text(j, "name", 200);
    if (p.name.find_first_not_of(" \t\n") == std::string::npos) throw Bad{"name"};
    for (const auto& m : list(j, "practised", most_known)) {
        if (!m.is_string() || m.get_ref<const std::string&>().size() > 200) throw Bad{"practised"};
        p.practised.push_back(m);
    }
    p.balance_step = whole(j, "balance_step", 0, balance_steps);
    for (const auto& l : list(j, "may_not", 40)) {
        auto limit = text(l, "limit", 100);
        if (!is_limit(limit)) throw Bad{"limit"};
        p.limits.emplace_back(std::move(limit), day(l, "until"));
    }
    return p;
}

HandedLesson lesson(const json& j, std::size_t people) {
    HandedLesson l;
    l.day = day(j, "day");
    if (l.day.empty()) throw Bad{"day"};
    l.plan = text(j, "plan", most_plan), l.notes = text(j, "notes", most_words);
    if (!l.plan.empty() && !parse_plan(l.plan)) throw Bad{"plan"};
    l.held = flag(j, "held");
    for (const auto& h : list(j, "here", most_people)) {
        if (!h.is_number_integer() || h.get<std::int64_t>() < 0 || h.get<std::int64_t>() >= static_cast<std::int64_t>(people))
            throw Bad{"here"};
        l.here.push_back(h.get<std::size_t>());
    }
    return l;
}

CourseOf course(const json& j) {
    CourseOf c;
    c.title = text(j, "title");
    auto wish = parse_wish(text(j, "wish", most_plan));
    if (!wish) throw Bad{"wish"};
    auto made = parse_course(text(j, "weeks", 2 * most_plan));
    if (!made) throw Bad{"weeks"};
    c.wish = std::move(wish->first), c.made_of = std::move(wish->second), c.made = std::move(*made);
    return c;
}

/// A place in a list, for what is wrong there.
template <class F> auto in(const char* of, std::size_t at, F read) {
    try {
        return read();
    } catch (const Bad& b) {
        throw Bad{std::string(of) + " " + std::to_string(at + 1) + ": " + b.where};
    }
}

} // namespace

Handover handover_of(const ClassSheet& sheet, bool names) {
    Handover out;
    out.group = sheet.group;
    out.group.id = 0, out.group.members.clear();
    if (!names) out.group.notes.clear();
    for (const auto& m : sheet.members) {
        HandedPerson p;
        p.name = names ? m.person.name : std::to_string(out.people.size() + 1);
        p.practised = m.practised;
        p.balance_step = m.facts.balance_step;
        for (const auto& a : m.agreements)
            if (is_limit(a.limit())) p.limits.emplace_back(a.limit(), a.until_day);
        out.people.push_back(std::move(p));
    }
    for (const auto& l : sheet.lessons) {
        HandedLesson h{l.day, l.plan, names ? l.notes : std::string(), l.held, {}};
        for (std::size_t k = 0; k < sheet.members.size(); ++k)
            if (std::any_of(l.people.begin(), l.people.end(),
                            [&](const LessonPerson& p) { return p.person == sheet.members[k].person.id && p.here; }))
                h.here.push_back(k);
        out.lessons.push_back(std::move(h));
    }
    for (CourseOf c : sheet.courses) {
        c.id = c.group = 0;
        out.courses.push_back(std::move(c));
    }
    return out;
}

std::string handover_text(const Handover& h) {
    const auto& g = h.group;
    json j{{"bevel_class", 1},
           {"class",
            {{"name", g.name},
             {"hall", g.hall},
             {"floor", g.floor},
             {"at", g.at},
             {"level", g.level},
             {"taught", g.taught},
             {"notes", g.notes},
             {"weekday", g.weekday},
             {"minutes", g.minutes},
             {"chair", g.chair},
             {"wall", g.wall},
             {"stick", g.stick}}},
           {"people", json::array()},
           {"lessons", json::array()},
           {"courses", json::array()}};
    for (const auto& p : h.people) {
        json limits = json::array();
        for (const auto& [limit, until] : p.limits) limits.push_back({{"limit", limit}, {"until", until}});
        j["people"].push_back(
            {{"name", p.name}, {"practised", p.practised}, {"balance_step", p.balance_step}, {"may_not", std::move(limits)}});
    }
    for (const auto& l : h.lessons)
        j["lessons"].push_back({{"day", l.day}, {"plan", l.plan}, {"notes", l.notes}, {"held", l.held}, {"here", l.here}});
    for (const auto& c : h.courses)
        j["courses"].push_back({{"title", c.title}, {"wish", wish_text(c.wish, c.made_of)}, {"weeks", course_text(c.made)}});
    return j.dump(1, ' ', false, json::error_handler_t::replace);
}

Result<Handover> parse_handover(const std::string& bytes) {
    if (bytes.size() > handover_most) return fail(Code::too_large, "class");
    const auto read = bounded_json(bytes, "class", {.values = 200'000, .depth = 6});
    if (!read) return tl::unexpected(read.error());
    const json& j = *read;
    if (!j.is_object() || !j.contains("bevel_class")) return fail(Code::unreadable, "class");
    try {
        (void)whole(j, "bevel_class", 1, 1);
        if (!j.contains("class") || !j["class"].is_object()) throw Bad{"class"};
        Handover h;
        h.group = group(j["class"]);
        const auto all = [&](const char* key, std::size_t most, auto one) {
            const json& values = list(j, key, most);
            for (std::size_t k = 0; k < values.size(); ++k)
                in(key, k, [&] {
                    if (!values[k].is_object()) throw Bad{key};
                    one(values[k]);
                });
        };
        all("people", most_people, [&](const json& v) { h.people.push_back(person(v)); });
        all("lessons", most_lessons, [&](const json& v) { h.lessons.push_back(lesson(v, h.people.size())); });
        all("courses", most_courses, [&](const json& v) { h.courses.push_back(course(v)); });
        return h;
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    }
}

Result<WhoIsWho> who_is_who(const Library& library, const Handover& handover) {
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    WhoIsWho out;
    for (const auto& p : handover.people) {
        const auto same = [&](const auto& x) { return x.name == p.name; };
        const bool one = std::count_if(people->begin(), people->end(), same) == 1 &&
                         std::count_if(handover.people.begin(), handover.people.end(), same) == 1;
        out.push_back(one ? std::find_if(people->begin(), people->end(), same)->id : 0);
    }
    return out;
}

Result<std::int64_t> take_over(Library& library, const Handover& h, const WhoIsWho& who, const std::string& reason,
                               const std::string& today) {
    if (who.size() != h.people.size()) return fail(Code::bad_value, "who");
    for (std::size_t k = 0; k < who.size(); ++k)
        if (who[k] != 0 && std::count(who.begin(), who.end(), who[k]) > 1) return fail(Code::bad_value, "who");
    std::int64_t id = 0;
    const auto taken = library.together([&]() -> Result<bool> {
        ClassGroup g = h.group;
        for (std::size_t k = 0; k < who.size(); ++k) {
            const auto& p = h.people[k];
            std::int64_t person = who[k];
            if (person == 0) {
                Person fresh;
                fresh.name = p.name;
                const auto added = library.people().add(fresh);
                if (!added) return tl::unexpected(added.error());
                person = *added;
                auto facts = library.people().facts(person);
                if (!facts) return tl::unexpected(facts.error());
                facts->balance_step = p.balance_step;
                for (const auto& m : p.practised) facts->taught.push_back({m, "", ""});
                if (auto ok = library.people().set_facts(person, *facts); !ok) return ok;
            }
            const auto agreed = library.decisions().agreements(person);
            if (!agreed) return tl::unexpected(agreed.error());
            for (const auto& handed : p.limits) {
                const std::string &limit = handed.first, &until = handed.second;
                if (!until.empty() && until < today) continue; // it is over
                const bool known = std::any_of(agreed->begin(), agreed->end(), [&](const Agreement& a) {
                    return a.limit() == limit && (a.from_day.empty() || a.from_day <= today) &&
                           (a.until_day.empty() || (!until.empty() && a.until_day >= until));
                });
                if (known) continue;
                Agreement a;
                a.person = person, a.check = check_of_limit(limit), a.off = true, a.reason = reason;
                a.from_day = today, a.until_day = until;
                if (auto ok = library.decisions().save_agreement(a); !ok) return tl::unexpected(ok.error());
            }
            g.members.push_back(person);
        }
        const auto kept = library.classes().keep(g);
        if (!kept) return tl::unexpected(kept.error());
        id = *kept;
        for (const auto& l : h.lessons) {
            Lesson lesson;
            lesson.group = id, lesson.day = l.day, lesson.plan = l.plan, lesson.notes = l.notes, lesson.held = l.held;
            for (std::size_t k = 0; k < h.people.size(); ++k)
                lesson.people.push_back({g.members[k], std::find(l.here.begin(), l.here.end(), k) != l.here.end(), {}});
            if (auto ok = library.classes().keep_lesson(lesson); !ok) return tl::unexpected(ok.error());
        }
        for (auto c = h.courses.rbegin(); c != h.courses.rend(); ++c) { // the newest is kept last
            CourseOf one = *c;
            one.id = one.person = 0, one.group = id;
            if (auto ok = keep_course(library, one); !ok) return tl::unexpected(ok.error());
        }
        return true;
    });
    if (!taken) return tl::unexpected(taken.error());
    return id;
}

} // namespace bevel
