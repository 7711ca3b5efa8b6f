#include "desk/classes.h"
#include <algorithm>

namespace bevel {

const Lesson* ClassSheet::on(const std::string& day) const {
    const auto at = std::find_if(lessons.begin(), lessons.end(), [&](const Lesson& l) { return l.day == day; });
    return at == lessons.end() ? nullptr : &*at;
}

Result<ClassSheet> class_sheet(const Library& library, std::int64_t id, const std::string& today, const Forms& forms) {
    const auto classes = library.classes().all();
    if (!classes) return tl::unexpected(classes.error());
    const auto at = std::find_if(classes->begin(), classes->end(), [&](const ClassGroup& g) { return g.id == id; });
    if (at == classes->end()) return fail(Code::not_found, "class");
    ClassSheet sheet;
    sheet.group = *at;
    for (const auto person : at->members) {
        auto one = person_needs(library, person, today, forms);
        if (!one) return tl::unexpected(one.error());
        sheet.members.push_back(std::move(*one));
    }
    std::stable_sort(sheet.members.begin(), sheet.members.end(),
                     [](const PersonNeeds& a, const PersonNeeds& b) { return a.person.name < b.person.name; });
    auto lessons = library.classes().lessons(id);
    if (!lessons) return tl::unexpected(lessons.error());
    sheet.lessons = std::move(*lessons);
    auto courses = courses_of_class(library, id);
    if (!courses) return tl::unexpected(courses.error());
    std::tie(sheet.courses, sheet.unreadable) = std::move(*courses);
    return sheet;
}

std::optional<std::pair<const CourseOf*, std::size_t>> ClassSheet::week_of(const std::string& day) const {
    for (const auto& c : courses) {
        if (c.made.weeks.empty() || day < c.made.weeks.front().from) continue;
        if (const auto week = weeks_over(c.made, day); week < c.made.weeks.size()) return std::pair{&c, week};
    }
    return std::nullopt;
}

Lesson lesson_on(const ClassSheet& sheet, const std::string& day) {
    Lesson l;
    if (const Lesson* kept = sheet.on(day)) l = *kept;
    l.group = sheet.group.id;
    l.day = day;
    std::erase_if(l.people, [&](const LessonPerson& p) {
        return std::none_of(sheet.members.begin(), sheet.members.end(), [&](const PersonNeeds& m) { return m.person.id == p.person; });
    });
    for (const auto& m : sheet.members)
        if (std::none_of(l.people.begin(), l.people.end(), [&](const LessonPerson& p) { return p.person == m.person.id; }))
            l.people.push_back({m.person.id, true, {}});
    return l;
}

std::vector<InClass> there_on(const ClassSheet& sheet, const Lesson& lesson) {
    std::vector<InClass> out;
    for (const auto& m : sheet.members) {
        const auto at = std::find_if(lesson.people.begin(), lesson.people.end(), [&](const auto& p) { return p.person == m.person.id; });
        if (at == lesson.people.end() || !at->here) continue;
        InClass one;
        one.person = m.person.id;
        know_person(one.needs, m);
        one.needs.chair = sheet.group.chair, one.needs.wall = sheet.group.wall, one.needs.stick = sheet.group.stick;
        one.needs.minutes = sheet.group.minutes;
        one.needs.dizzy = at->today.dizzy, one.needs.unsteady = at->today.unsteady;
        if (at->today.tired) one.needs.energy = Needs::tired_at;
        one.needs.care = at->today.care;
        out.push_back(std::move(one));
    }
    return out;
}

std::vector<std::string> movements_of(const Lesson& lesson) {
    std::vector<std::string> out;
    if (lesson.plan.empty()) return out;
    if (const auto plan = parse_plan(lesson.plan))
        for (const auto& i : plan->items)
            for (const auto& id : i.sequence.empty() ? std::vector<std::string>{i.movement} : i.sequence)
                if (!id.empty() && std::find(out.begin(), out.end(), id) == out.end()) out.push_back(id);
    return out;
}

Result<Plan> propose_lesson(const ClassSheet& sheet, const Lesson& lesson, const Forms& forms, std::span<const AskedFor> asked,
                            std::uint64_t another) {
    const auto there = there_on(sheet, lesson);
    if (there.empty()) return fail(Code::cannot_judge, "nobody_there");
    Needs day;
    day.minutes = sheet.group.minutes;
    day.chair = sheet.group.chair, day.wall = sheet.group.wall, day.stick = sheet.group.stick;
    day.asked.assign(asked.begin(), asked.end());
    Needs needs = needs_of_class(day, there);
    auto movements = *forms.movements;
    if (const auto course = sheet.week_of(lesson.day)) {
        CourseSheet known;
        known.group = sheet.group.id;
        known.known = needs; // of those who are there
        needs = day_of_course(course->first->made, needs_of_course(course->first->wish, known, forms), course->second, false, needs);
        needs.asked.insert(needs.asked.begin(), asked.begin(), asked.end());
        movements = movements_of_course(course->first->wish, forms);
    }
    // What serves as well takes turns from lesson to lesson; of those proposals the one that repeats least of the last two is taken.
    std::vector<std::string> lately;
    int lessons = 0;
    for (const auto& l : sheet.lessons) {
        if (l.day >= lesson.day || ++lessons > 2) continue;
        for (const auto& id : movements_of(l)) lately.push_back(id);
    }
    constexpr std::uint64_t tried = 4;
    Result<Plan> best = fail(Code::cannot_judge, "nobody_there");
    std::ptrdiff_t least = 0;
    for (std::uint64_t k = 0; k < (lately.empty() ? 1 : tried); ++k) {
        needs.seed = seed_of_day(lesson.day, sheet.group.id) + 7919 * (another * tried + k);
        auto plan = propose(needs, movements);
        if (!plan) return plan;
        const auto again = std::count_if(plan->items.begin(), plan->items.end(), [&](const PlanItem& i) {
            return i.part != PlanPart::opening && i.part != PlanPart::closing && i.part != PlanPart::settling &&
                   std::find(lately.begin(), lately.end(), i.movement) != lately.end();
        });
        if (best && again >= least) continue;
        least = again;
        best = std::move(plan);
    }
    best->title = sheet.group.name;
    say_otherwise(*best, instead_of(*best, there, movements));
    return best;
}

Result<std::vector<PersonFigures>> figures_of_class(const Library& library, const ClassSheet& sheet, const std::string& from,
                                                    const std::string& to) {
    std::vector<PersonFigures> out;
    for (const auto& m : sheet.members) {
        auto all = library.records().figures(m.person.id);
        if (!all) return tl::unexpected(all.error());
        std::erase_if(*all, [&](const KeptFigure& f) { return (!from.empty() && f.day < from) || (!to.empty() && f.day > to); });
        out.push_back({m.person.id, std::move(*all)});
    }
    return out;
}

} // namespace bevel
