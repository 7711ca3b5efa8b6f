// From goals to weeks: what each week of a course brings in, repeats and lets rest; when a clip is asked for and looked at; and what
// becomes of it when a week is missed, a limit comes or a letter asks for something (domain, "Courses, classes, quiet tests").
#pragma once
#include "core/practice/plan.h"
#include <cstdint>

namespace bevel {

/// What runs through the weeks: a movement, a correction with its drill, a linked form that grows, the balance ladder.
enum class ThreadKind { movement, rule, form, ladder };
std::string_view thread_kind_name(ThreadKind k);

/// What a thread does in a week. `grows`: more parts of a form, a step up the ladder. One thing a week begins or grows.
enum class Beat { not_yet, begins, grows, returns, rests, recalled };
std::string_view beat_name(Beat b);

struct CourseThread {
    ThreadKind kind = ThreadKind::movement;
    std::string of;          // movement's id, or form's without "form:"; of the ladder empty
    std::string rule, drill; // of a correction
    bool known = false;      // begun before the course
    std::vector<Beat> beats; // one a week
    /// What a thread is known by in wishes: "movement ID", "rule RULE ID", "form ID", "ladder".
    std::string key() const;
    bool operator==(const CourseThread&) const = default;
};

enum class WeekKind { plain, lighter, recall };
std::string_view week_kind_name(WeekKind k);

struct CourseWeek {
    std::string from; // ISO day it begins on
    WeekKind kind = WeekKind::plain;
    double pace = 1;
    double lesson_minutes = 0, home_minutes = 0;
    int parts = 0;  // of the form that are known at its end
    int ladder = 0; // step of the balance ladder; 0: it asks for none
    bool clip_asked = false, clip_looked = false;
    bool missed = false;
    bool operator==(const CourseWeek&) const = default;
};

/// A thread of those that were wished for and are not in it, and why; no_room: more than there are weeks.
struct NotInCourse {
    std::string key;
    LeftOut::Code code = LeftOut::Code::no_room;
    bool operator==(const NotInCourse&) const = default;
};

struct Course {
    std::vector<CourseWeek> weeks;
    std::vector<CourseThread> threads;
    std::vector<NotInCourse> left_out;
    /// The thread that begins or grows in a week.
    const CourseThread* fresh_in(std::size_t week) const;
    bool operator==(const Course&) const = default;
};

struct CourseNeeds {
    Needs needs;      // of the person: limits, what is at hand, what is wanted, asked for by letters, practised, the form, themes
    std::string from; // ISO day of its first week
    int weeks = 8;    // 4 to 12
    int lessons = 1, home_days = 3; // a week
    double lesson_minutes = 45, home_minutes = 15;
    bool slide = true;                 // a missed week makes it longer; else what it brought is folded into the others
    std::map<std::string, int> begins; // by thread's key: the week (from 1) in which it is to begin, as somebody set it
    std::set<std::string> settled;     // keys of corrections that are inside beyond their error for two weeks: not drilled on
};

inline constexpr int least_weeks = 4, most_weeks = 12;

/// The weeks of a course. `so_far`, `now`: a course under way is made anew from week `now` (from 0) on: weeks before it stay as they were,
/// with what was begun in those that were not missed. The same needs give the same course. bad_value "weeks", "days", "minutes", "from",
/// "begins" (two in one week, or in one that brings nothing new), "now".
Result<Course> propose_course(const CourseNeeds& needs, const std::vector<Movement>& movements, const Course* so_far = nullptr,
                              std::size_t now = 0);

/// What a session of a week is asked for; `day`: limits and state of that day, which the gate then asks. `at_home`: homework, which never
/// asks for eyes closed.
Needs day_of_course(const Course& course, const CourseNeeds& needs, std::size_t week, bool at_home, const Needs& day);

/// A course as text (JSON) and back; bad_value with the place.
std::string course_text(const Course& course);
Result<Course> parse_course(const std::string& text);

/// How many of its weeks are over on a day (ISO): the number, from 0, of the one it falls into, or of its first where it has not begun.
std::size_t weeks_over(const Course& course, const std::string& day);

/// The ISO day that many days after one; empty where that is none.
std::string days_after(const std::string& day, int days);

} // namespace bevel
