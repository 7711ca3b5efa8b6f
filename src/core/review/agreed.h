// What limits agreed with a person, and the day, change in judging: what they take away is never asked for.
#pragma once
#include "core/movement/movement.h"

namespace bevel {

/// The bands that a limit ("high_stance", "no_overhead", "seated", "care_knees" …) opens on the side on which it would ask for what is not
/// to be done, and the rules that become safety for who has it. Never one of a safety rule opened. Empty for a limit that no band asks
/// against. `reason` is shown with the band.
std::vector<BandChange> changes_of_limit(const std::string& limit, const std::string& reason);
/// What a student's own words for where it hurts ask care of, as limits of that day: "care_knees", "care_low_back", "care_neck",
/// "care_shoulders". English and German.
std::vector<std::string> cares_of_pain(const std::string& words);
/// The same of a day without strength: depth is no aim then.
std::vector<BandChange> changes_of_tired_day(const std::string& reason);

} // namespace bevel
