// Contacts of the feet with the floor, and their events.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// foot.state of both feet and the foot events. Points in metres: from the height of heel and toe. One camera: a foot on the floor keeps
/// its place on the picture, heel against toe tells whether it lies flat, and while one foot is on its way the other bears.
void find_contacts(const Motion& m, Measures& out);

} // namespace bevel
