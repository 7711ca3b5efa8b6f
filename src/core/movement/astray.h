// What a fault looks like: the same movement with the postures a check looks at moved out of its band.
#pragma once
#include "core/movement/movement.h"

namespace bevel {

/// The movement with what the check measures changed by `size` (the measure's unit, of the size of the change; 0 or more) towards the low
/// or the high side, in the check's phases; nothing where the figure cannot show it. Not checked like a file is: a foot may slide.
std::optional<Movement> astray(const Movement& movement, const Check& check, bool high, double size);

} // namespace bevel
