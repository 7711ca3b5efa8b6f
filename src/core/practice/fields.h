// Fields of a practice file (plan, course), read strictly: what is missing, of another kind or out of its range is thrown as its place.
// Used by plan_file.cpp, course_file.cpp and desk/courses.cpp alone.
#pragma once
#include <array>
#include <nlohmann/json.hpp>
#include <string>
#include <vector>

namespace bevel::fields {

using json = nlohmann::json;

/// In the order of LeftOut::Code.
inline constexpr std::array<const char*, 8> left_names{"no_room", "overhead_today", "balance_today", "limit",
                                                       "care",    "no_support",     "no_stick",      "unknown"};

struct Bad {
    std::string where;
};
inline std::string text(const json& j, const char* key, std::size_t most = 400) {
    if (!j.contains(key) || !j[key].is_string() || j[key].get_ref<const std::string&>().size() > most) throw Bad{key};
    return j[key];
}
inline double number(const json& j, const char* key, double low, double high) {
    if (!j.contains(key) || !j[key].is_number()) throw Bad{key};
    const double v = j[key];
    if (!(v >= low && v <= high)) throw Bad{key};
    return v;
}
inline int whole(const json& j, const char* key, int low, int high) {
    const double v = number(j, key, low, high);
    if (v != static_cast<int>(v)) throw Bad{key};
    return static_cast<int>(v);
}
inline bool flag(const json& j, const char* key) {
    if (!j.contains(key) || !j[key].is_boolean()) throw Bad{key};
    return j[key];
}
inline const json& list(const json& j, const char* key, std::size_t most) {
    if (!j.contains(key) || !j[key].is_array() || j[key].size() > most) throw Bad{key};
    return j[key];
}
inline std::vector<std::string> texts(const json& j, const char* key) {
    std::vector<std::string> out;
    for (const auto& v : list(j, key, 60)) {
        if (!v.is_string() || v.get_ref<const std::string&>().size() > 400) throw Bad{key};
        out.push_back(v);
    }
    return out;
}

} // namespace bevel::fields
