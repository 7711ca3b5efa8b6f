// What a course says to people.
#pragma once
#include "core/form/form.h"
#include "core/practice/course.h"
#include "ui/text/practice_words.h"

namespace bevel::ui::text {

/// "Gaze at the Moon", "Feet first, then the weight: Part the Horse's Mane", "Six Lanterns", "Balance".
QString thread_title(const CourseThread& t, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms);
/// What it does in a week: "new", "goes on", "again", "from memory"; empty where it rests or has not begun.
QString beat(Beat b);
/// "lighter week", "recall week"; empty of any other.
QString week_kind(WeekKind k);
/// "1 lesson of 45 minutes, 3 days at home of 15 minutes, a fifth slower"
QString week_amount(const CourseWeek& w, const CourseNeeds& needs);
/// What becomes of clips: "a clip is asked for", "the clip of last week is looked at".
QStringList week_clips(const CourseWeek& w);
QString not_in_course(const NotInCourse& l, const std::vector<Movement>& movements);

} // namespace bevel::ui::text
