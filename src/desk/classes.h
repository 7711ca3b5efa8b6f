// A class and its lesson: who belongs to it, what holds for each of them today, what they all do and what some do instead, what is common.
#pragma once
#include "core/practice/class_plan.h"
#include "core/review/common.h"
#include "desk/courses.h"

namespace bevel {

/// A class as it stands, with what is known of each of its people.
struct ClassSheet {
    ClassGroup group;
    std::vector<PersonNeeds> members; // in the order of their names
    std::vector<Lesson> lessons;      // newest first
    std::vector<CourseOf> courses;    // newest first
    int unreadable = 0;               // of its courses; they stay in the library
    const Lesson* on(const std::string& day) const;
    /// The course that a day falls into, the newest of those, and its week from 0.
    std::optional<std::pair<const CourseOf*, std::size_t>> week_of(const std::string& day) const;
};
/// not_found "class".
Result<ClassSheet> class_sheet(const Library& library, std::int64_t id, const std::string& today, const Forms& forms);

/// A lesson of that day with everybody there and well; the one that is kept, with those who came to the class since.
Lesson lesson_on(const ClassSheet& sheet, const std::string& day);

/// Those who are there, each with limits, state of the day and what the hall gives.
std::vector<InClass> there_on(const ClassSheet& sheet, const Lesson& lesson);

/// A lesson made for those who are there, with what is said to all in the place of what some may not do: by the week of the class's course
/// that its day falls into, where there is one. What the lessons before were made of gives way: of a few proposals that serve as well the
/// one that repeats least of the last two lessons. `asked`: what it is to work on before what letters or the course ask for. `another`: one
/// more way of it. As `propose`; cannot_judge "nobody_there".
Result<Plan> propose_lesson(const ClassSheet& sheet, const Lesson& lesson, const Forms& forms, std::span<const AskedFor> asked = {},
                            std::uint64_t another = 0);

/// Movements of a lesson's plan; empty where it cannot be read.
std::vector<std::string> movements_of(const Lesson& lesson);

/// Figures of the class's people from one day to another ("" open), of those clips alone.
Result<std::vector<PersonFigures>> figures_of_class(const Library& library, const ClassSheet& sheet, const std::string& from,
                                                    const std::string& to);

} // namespace bevel
