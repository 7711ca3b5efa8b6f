// Body centre, share of weight and its shifts. Contacts must be known before.
#pragma once
#include "core/measure/frame_measures.h"

namespace bevel {

/// weight.left, weight.front, their raw (unclamped) courses, and the shifts.
void weigh(const Motion& m, Sex sex, Measures& out);

} // namespace bevel
