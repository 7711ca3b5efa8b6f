// Courses of weeks as they are kept: each of one person or of one class.
#pragma once
#include <cstdint>
#include <string>

namespace bevel {

struct KeptCourse {
    std::int64_t id = 0, person = 0;
    std::string title;
    std::string wish, weeks; // as text: what was asked for (desk/courses.h), and the weeks as they stand (core/practice/course.h)
    std::int64_t group = 0;  // a class; then it is of no person
};

} // namespace bevel
