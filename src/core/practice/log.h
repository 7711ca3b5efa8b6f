// What was practised, week by week.
#pragma once
#include <map>
#include <span>
#include <string>
#include <vector>

namespace bevel {

struct DonePart {
    std::string kind; // of the movement
    int left = 0, right = 0;
    double seconds = 0;
};
struct DoneDay {
    std::string day; // ISO
    double minutes = 0;
    std::vector<DonePart> parts;
};

/// A week from Monday to Sunday.
struct Week {
    std::string monday; // ISO day
    double minutes = 0;
    std::map<std::string, double> by_kind; // minutes
    int left = 0, right = 0;               // repeats
    /// 0 even, -1 left alone, +1 right alone.
    double unevenness() const { return left + right > 0 ? static_cast<double>(right - left) / (left + right) : 0; }
};
/// The weeks from the first day to `until`, without gaps; at most 520. Days that are none are passed over.
std::vector<Week> weeks_of(std::span<const DoneDay> days, const std::string& until);

} // namespace bevel
