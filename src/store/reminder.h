// A day to look again, as a calendar file (RFC 5545, written by libical).
#pragma once
#include "core/result.h"
#include <string>
#include <vector>

namespace bevel {

struct Reminder {
    std::string uid, day, title, words; // day: ISO; all of the day
    int alarm_hours = 9;                // of that day's morning at which it is called to mind
};
/// bad_value "day" for one that is no day.
Result<std::string> calendar_of(const std::vector<Reminder>& all, const std::string& made_at); // made_at: ISO date and time, UTC

/// A practice at a time, for the plan's calendar file.
struct PracticeDate {
    std::string uid, at, title, words; // at: ISO local date and time
    int minutes = 20;
    int every_days = 0, times = 1; // repeated
};
Result<std::string> calendar_of(const std::vector<PracticeDate>& all, const std::string& made_at);

} // namespace bevel
