// Courses of weeks as they are kept: each of one person.
#pragma once
#include <cstdint>
#include <string>

namespace bevel {

struct KeptCourse {
    std::int64_t id = 0, person = 0;
    std::string title;
    std::string wish, weeks; // as text: what was asked for (desk/courses.h), and the weeks as they stand (core/practice/course.h)
};

} // namespace bevel
