// Contacts of the feet, body centre, share of weight and its shifts.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// foot.state of both feet from the height of heel and toe over the floor and their speed, with hysteresis; and foot events.
void find_contacts(const Motion& m, Measures& out);

/// weight.left, weight.front, their raw (unclamped) courses, and the shifts.
void weigh(const Motion& m, Sex sex, Measures& out);

} // namespace bevel
