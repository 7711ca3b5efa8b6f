// The event stream of a clip: feet, weight, turns, hands, rise and sink. Contacts, shifts and measures must be known before.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// Fills `events`, in order of time.
void find_events(const Motion& m, Measures& out);

} // namespace bevel
