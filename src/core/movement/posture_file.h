// Postures and graded versions in movement files. Used inside core/movement only.
#pragma once
#include "core/movement/movement.h"
#include <nlohmann/json.hpp>

namespace bevel {

/// A posture names only what differs from the one before it. Throws reading::Bad with the place.
Posture read_posture(const nlohmann::json& j, Posture before);
Version read_version(const nlohmann::json& j);
/// How much is asked, by the names of Asks::parts().
std::map<std::string, int> read_asks(const nlohmann::json& j);

} // namespace bevel
