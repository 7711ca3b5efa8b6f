// What a plan is asked for, as a file (docs/cli.md).
#pragma once
#include "core/form/form.h"
#include "core/practice/course.h"

namespace bevel {

/// JSON of the fields of Needs by their names, all of them optional. Unknown keys, limits, parts, movements, versions and figures that
/// cannot be are refused (`linked`: forms that may be asked for piece by piece): bad_value "KEY: WHY"; too_large beyond 1 MB.
Result<Needs> parse_needs(const std::string& text, const std::vector<Movement>& movements, const std::vector<LinkedForm>& linked = {});

/// The same with an object "course" among them: from, weeks, lessons, lesson_minutes, home_days, home_minutes, slide, begins {thread:
/// week}, settled [thread]. What a course may be is for propose_course to say.
Result<CourseNeeds> parse_course_needs(const std::string& text, const std::vector<Movement>& movements,
                                       const std::vector<LinkedForm>& linked = {});

/// Names of limits and of parts of the body that may ask for care.
const std::vector<std::string>& limit_names_of_needs();
const std::vector<std::string>& care_names();

} // namespace bevel
