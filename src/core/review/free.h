// Practice that is none of the known movements: figures of all measures, and verdicts of the safety rules alone, on quiet feet.
#pragma once
#include "core/align/align.h"

namespace bevel {

inline constexpr const char* free_id = "free";

/// Stands in for a movement: its figure stands quietly, its checks are those safety rules that hold whatever is meant. Not among the
/// movements of the library: it is neither guessed nor planned.
const Movement& free_practice();

/// Stretches in which both feet stand still, each a repetition of its one phase; long ones in parts of at most ten seconds, so that what
/// happens in one of them is not lost in a long clip. Empty where there is none of a second and a half.
Alignment quiet_stretches(const Measures& measures, const ReferenceModel& model);

} // namespace bevel
