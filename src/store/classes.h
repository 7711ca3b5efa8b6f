// Classes: people who practise together week after week, their lessons and who was there.
#pragma once
#include <cstdint>
#include <set>
#include <string>
#include <vector>

namespace bevel {

/// As the instructor describes it.
struct ClassGroup {
    std::int64_t id = 0;
    std::string name, hall, floor, at, level, taught, notes; // floor: in words; at: "18:30"; taught: up to where, in words
    int weekday = 0;                                         // 1 Monday … 7 Sunday; 0: not said
    int minutes = 60;
    bool chair = true, wall = true, stick = false; // at hand in the hall
    std::vector<std::int64_t> members;
    bool operator==(const ClassGroup&) const = default;
};

/// What a body brings today, as its owner says at the start. It stands on the lesson's page and goes with it, or with the person.
struct Today {
    bool dizzy = false, unsteady = false, tired = false;
    std::set<std::string> care; // parts, as in Needs::care
    bool well() const { return !dizzy && !unsteady && !tired && care.empty(); }
    bool operator==(const Today&) const = default;
};

struct LessonPerson {
    std::int64_t person = 0;
    bool here = true;
    Today today;
    bool operator==(const LessonPerson&) const = default;
};

struct Lesson {
    std::int64_t id = 0, group = 0; // group: a class
    std::string day, plan, notes;   // ISO day; the plan as its text
    bool held = false;
    std::vector<LessonPerson> people;
};

} // namespace bevel
