// From a movement's phases, roles and bands to its checks. Used inside core/movement only.
#pragma once
#include "core/movement/movement.h"
#include <algorithm>
#include <nlohmann/json.hpp>

namespace bevel {

inline bool among(const std::vector<std::string>& names, const std::string& name) {
    return std::find(names.begin(), names.end(), name) != names.end();
}
/// Where it was set down.
bool same_place(const FootTarget& a, const FootTarget& b);

/// The checks that the rules make for a movement whose phases are read, with the departures of its file `j` ("bands", "checks", the
/// exceptions of its phases). Throws reading::Bad with the place.
void make_checks(Movement& m, const nlohmann::json& j, const RuleBook& rules);

} // namespace bevel
