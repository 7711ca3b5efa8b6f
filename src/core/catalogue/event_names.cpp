#include "core/catalogue/event_names.h"
#include <array>

namespace bevel {

std::string_view event_name(EventKind k) {
    constexpr std::array<std::string_view, 21> n{"heel_down",   "toe_down",    "flat",      "heel_up",    "toe_up",     "off",
                                                 "shift_onset", "shift_start", "shift_end", "shift_rest", "stop",       "turn_onset",
                                                 "turn_end",    "hand_stop",   "low",       "high",       "hand_onset", "breath_in",
                                                 "breath_out",  "roll_onset",  "roll_end"};
    return n[static_cast<std::size_t>(k)];
}
std::string_view part_name(Part p) {
    constexpr std::array<std::string_view, 11> n{"foot", "weight", "pelvis",   "shoulders",  "head", "hand",
                                                 "hips", "breath", "low_back", "upper_back", "neck"};
    return n[static_cast<std::size_t>(p)];
}

std::optional<EventKind> event_from_name(std::string_view name) {
    for (int k = 0; k <= static_cast<int>(EventKind::roll_end); ++k)
        if (event_name(static_cast<EventKind>(k)) == name) return static_cast<EventKind>(k);
    return std::nullopt;
}
std::optional<Part> part_from_name(std::string_view name) {
    for (int p = 0; p <= static_cast<int>(Part::neck); ++p)
        if (part_name(static_cast<Part>(p)) == name) return static_cast<Part>(p);
    return std::nullopt;
}

} // namespace bevel
