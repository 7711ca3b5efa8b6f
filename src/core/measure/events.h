// The event stream of a clip: feet, weight, turns, hands, rise and sink. Contacts, shifts and measures must be known before.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// Fills `events`, in order of time.
void find_events(const Motion& m, Measures& out);

/// Of the time of a change of contact of a foot, s.
double contact_sigma(const Motion& m, std::size_t frame, Side side);

} // namespace bevel
