// A course as one page that needs nothing else: large type, opened off line by the student or put on a wall.
#pragma once
#include "core/form/form.h"
#include "core/practice/course.h"
#include <QString>

namespace bevel::ui {

/// HTML. `movements`: with the pieces of a form that grows. Of every week what is new, what returns, clips, and what a day at home is made
/// of (proposed as any session, through the gate); at its end the cautions. Nobody's name and no limit stands in it.
QString course_html(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                    const std::vector<LinkedForm>& forms);

} // namespace bevel::ui
