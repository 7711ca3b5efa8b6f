// What happens in a movement, by name: rules ask for it, measures find it.
#pragma once
#include <optional>
#include <string_view>

namespace bevel {

enum class EventKind {
    heel_down,
    toe_down,
    flat,
    heel_up,
    toe_up,
    off, // of a foot
    shift_onset,
    shift_start,
    shift_end,
    shift_rest,
    stop, // of the weight
    turn_onset,
    turn_end, // of pelvis, shoulders or head
    hand_stop,
    low,
    high, // of the hips
    hand_onset,
    breath_in,
    breath_out, // marked
    roll_onset,
    roll_end, // of a part of the back, marked
};
enum class Part { foot, weight, pelvis, shoulders, head, hand, hips, breath, low_back, upper_back, neck };
std::string_view event_name(EventKind k);
std::string_view part_name(Part p);
std::optional<EventKind> event_from_name(std::string_view name);
std::optional<Part> part_from_name(std::string_view name);

} // namespace bevel
