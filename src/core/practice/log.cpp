#include "core/practice/log.h"
#include <algorithm>
#include <array>
#include <chrono>
#include <cstdio>
#include <optional>

namespace bevel {
namespace {

std::optional<std::chrono::sys_days> day_of(const std::string& iso) {
    int y = 0;
    unsigned m = 0, d = 0;
    if (iso.size() != 10 || std::sscanf(iso.c_str(), "%4d-%2u-%2u", &y, &m, &d) != 3) return std::nullopt;
    const std::chrono::year_month_day date{std::chrono::year(y), std::chrono::month(m), std::chrono::day(d)};
    if (!date.ok()) return std::nullopt;
    return std::chrono::sys_days(date);
}

std::chrono::sys_days monday_of(std::chrono::sys_days d) {
    return d - (std::chrono::weekday(d) - std::chrono::Monday);
}

std::string iso(std::chrono::sys_days d) {
    const std::chrono::year_month_day date(d);
    std::array<char, 16> b{};
    std::snprintf(b.data(), b.size(), "%04d-%02u-%02u", static_cast<int>(date.year()), static_cast<unsigned>(date.month()),
                  static_cast<unsigned>(date.day()));
    return b.data();
}

} // namespace

std::vector<Week> weeks_of(std::span<const DoneDay> days, const std::string& until) {
    std::map<std::chrono::sys_days, Week> weeks;
    for (const auto& d : days) {
        const auto day = day_of(d.day);
        if (!day) continue;
        Week& w = weeks[monday_of(*day)];
        w.minutes += d.minutes;
        for (const auto& p : d.parts) {
            w.by_kind[p.kind] += p.seconds / 60;
            w.left += p.left, w.right += p.right;
        }
    }
    std::vector<Week> out;
    const auto end = day_of(until);
    if (weeks.empty() || !end) return out;
    const auto last = std::max(monday_of(*end), weeks.rbegin()->first);
    for (auto m = std::max(weeks.begin()->first, last - std::chrono::days(7 * 519)); m <= last; m += std::chrono::days(7)) {
        Week w = weeks.contains(m) ? weeks[m] : Week{};
        w.monday = iso(m);
        out.push_back(std::move(w));
    }
    return out;
}

} // namespace bevel
