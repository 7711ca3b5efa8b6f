// What a course says to people.
#pragma once
#include "core/form/form.h"
#include "core/practice/course.h"
#include "desk/courses.h"
#include "store/reminder.h"
#include "ui/text/practice_words.h"

namespace bevel::ui::text {

/// "Gaze at the Moon", "Feet first, then the weight: Part the Horse's Mane", "Six Lanterns", "Balance".
QString thread_title(const CourseThread& t, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms);
/// What it does in a week: "new", "goes on", "again", "from memory"; empty where it rests or has not begun.
QString beat(Beat b);
/// "lighter week", "recall week"; empty of any other.
QString week_kind(WeekKind k);
/// In one word: "lighter", "recall", "missed"; empty of any other.
QString week_short(const CourseWeek& w);
/// "3" and below it the day it begins on.
QString week_head(std::size_t week, const CourseWeek& w);
/// "1 lesson of 45 minutes, 3 days at home of 15 minutes, a fifth slower"
QString week_amount(const CourseWeek& w, const CourseNeeds& needs);
/// What becomes of clips: "a clip is asked for", "the clip of last week is looked at".
QStringList week_clips(const CourseWeek& w);
QString not_in_course(const NotInCourse& l, const std::vector<Movement>& movements);
/// What a thread does in a week, and why: "It comes back two weeks after it was last done; each time later.". `by_hand`: the week it was
/// set to begin in; 0: in none.
QString why_in_week(const Course& course, const CourseThread& t, std::size_t week, int by_hand, const std::vector<Movement>& movements);
/// "Single Whip comes in, in week 5", "Balance goes out".
QString course_change(const CourseChange& c, const Course& before, const Course& after, const std::vector<Movement>& movements,
                      const std::vector<LinkedForm>& forms);
/// Lessons and days at home as dates of a calendar, spread over each week; missed weeks have none. `at`: HH:mm.
std::vector<PracticeDate> course_dates(const Course& course, const CourseNeeds& needs, const std::string& at, const QString& title);

} // namespace bevel::ui::text
