// The courses of a person or of a class: what each was asked for, the weeks as they stand, and what has happened since.
#pragma once
#include "core/practice/course.h"
#include "desk/needs.h"

namespace bevel {

/// What the instructor asks of a course. What is known of its person or class (limits, what letters asked for or what is common, what is
/// practised) is not in it: it comes from the library at each look.
struct CourseWish {
    std::string from; // ISO day of the first week
    int weeks = 8, lessons = 1, home_days = 3;
    double lesson_minutes = 45, home_minutes = 15;
    bool slide = true;
    std::vector<std::string> wanted; // movements
    std::string form;                // id without "form:"; empty: none
    int form_known = 0;              // parts that are known when it begins
    std::set<std::string> themes;
    bool chair = true, wall = true, stick = false;
    std::map<std::string, int> begins; // threads by key: the week (from 1) they are to begin in
    bool operator==(const CourseWish&) const = default;
};
std::string wish_text(const CourseWish& wish, const std::string& made_of);
/// Back, with what it was made of; bad_value with the place. Movements and forms need not be known: they may have come and gone.
Result<std::pair<CourseWish, std::string>> parse_wish(const std::string& text);

struct CourseOf {
    std::int64_t id = 0, person = 0; // id 0: not kept yet
    std::string title;
    CourseWish wish;
    Course made;
    std::string made_of;    // what was known of its person or class then (basis_of)
    std::int64_t group = 0; // a class; then it is of no person
    bool operator==(const CourseOf&) const = default;
};
Result<std::int64_t> keep_course(Library& library, const CourseOf& course);

/// What a course is made from, and what has happened since it was made.
struct CourseSheet {
    std::string name;       // of the person or the class
    std::int64_t group = 0; // a class: it has lessons only, since nobody's gate is asked at home
    Needs known; // what is known of the person (know_person); of a class what it is led by (needs_of_class), and asked what is common
    std::map<std::string, std::vector<int>> weak; // as in PersonNeeds; of a class what two or more were asked for
    std::set<std::string> settled;                // keys of corrections that are not drilled on
    std::vector<CourseOf> courses;                // newest first
    int unreadable = 0;                           // courses that could not be read; they stay in the library
    std::set<std::string> done_on;                // days on which something was practised, filmed or led; of a class: lessons held
    std::string pain, pain_on;                    // where, as the log of the last two weeks says it last
};
/// What of them moves a course under way, as one text: limits, what letters ask for, what is settled, the step of the ladder.
std::string basis_of(const CourseSheet& sheet);
Result<CourseSheet> course_sheet(const Library& library, const Forms& forms, std::int64_t person, const std::string& today);
/// Of a class, all of whom are there and well: what at least half may not do is left out (who else may not do a thing has another way of it
/// in the lesson), corrections are what is common in the clips of the last twelve weeks (common_faults), three at most. As class_sheet.
Result<CourseSheet> class_course_sheet(const Library& library, const Forms& forms, std::int64_t group, const std::string& today);
/// The kept courses of a class, newest first, and how many could not be read.
Result<std::pair<std::vector<CourseOf>, int>> courses_of_class(const Library& library, std::int64_t group);

/// Keys of corrections that are inside beyond their error, in every phase and on both sides, in each clip of at least two weeks, with two
/// clips at least; a clip that does not tell the very check that was asked for says nothing. Looks at six clips a correction at most, from
/// the newest back.
Result<std::set<std::string>> settled_corrections(const Library& library, const Forms& forms, std::int64_t person,
                                                  const std::vector<AskedFor>& asked);

CourseNeeds needs_of_course(const CourseWish& wish, const CourseSheet& sheet, const Forms& forms);
/// Movements, and the pieces of the form that it grows by.
std::vector<Movement> movements_of_course(const CourseWish& wish, const Forms& forms);

/// The weeks of a wish by what is known today; of one under way those from the week of today on. As propose_course.
Result<Course> make_course(const CourseWish& wish, const CourseSheet& sheet, const Forms& forms, const Course* so_far,
                           const std::string& today);

/// Weeks (from 0) that are over, are not said to be missed, and in which nothing was done.
std::vector<std::size_t> quiet_weeks(const Course& course, const std::set<std::string>& done_on, const std::string& today);

/// What differs between two courses in weeks from `now` on.
struct CourseChange {
    enum class Code { comes_in, goes_out, moved, longer, shorter, other } code = Code::other;
    std::string key;      // of the thread
    int from = 0, to = 0; // weeks from 1: where it begins or grows next; of longer and shorter: how many there are
    bool operator==(const CourseChange&) const = default;
};
std::vector<CourseChange> changes_of(const Course& before, const Course& after, std::size_t now);

} // namespace bevel
