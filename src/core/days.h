// Days as text.
#pragma once
#include <ctime>
#include <string>
#include <string_view>

namespace bevel {

/// An ISO day of a calendar (YYYY-MM-DD) from 1900 to 2199, or none: "".
inline bool is_day(std::string_view d) {
    if (d.empty()) return true;
    if (d.size() != 10 || d[4] != '-' || d[7] != '-') return false;
    int n[3] = {0, 0, 0};
    for (std::size_t i = 0, part = 0; i < d.size(); ++i) {
        if (i == 4 || i == 7) {
            ++part;
            continue;
        }
        if (d[i] < '0' || d[i] > '9') return false;
        n[part] = n[part] * 10 + (d[i] - '0');
    }
    const bool leap = (n[0] % 4 == 0 && n[0] % 100 != 0) || n[0] % 400 == 0;
    constexpr int length[] = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};
    return n[0] >= 1900 && n[0] < 2200 && n[1] >= 1 && n[1] <= 12 && n[2] >= 1 && n[2] <= length[n[1] - 1] + (leap && n[1] == 2 ? 1 : 0);
}

/// The ISO day of a moment, where the machine is.
inline std::string day_of(std::time_t t) {
    std::tm at{};
    ::localtime_r(&t, &at);
    char text[16] = {};
    return {text, std::strftime(text, sizeof text, "%Y-%m-%d", &at)};
}
inline std::string today() {
    return day_of(std::time(nullptr));
}

} // namespace bevel
