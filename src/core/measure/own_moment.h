// A person's own neutral and comfortable range, told from a clip that the instructor names for it.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// What stands at a moment of a clip: each part that can be told there (median of a second about it), with the error that does not go away
/// when it is held against a clip seen alike. Empty where nothing can be told.
OwnFigures figures_at(const Motion& motion, double time_s);

/// The farthest that is kept for half a second in a clip in which somebody shows how far they go with ease: depth (a share of the standing
/// height of the hips), twist and side bend (degrees). Absent where it cannot be told to a seventh of itself or is too little to be a
/// range.
struct ShownRange {
    std::optional<double> depth, twist, bend;
};
ShownRange range_shown(const Measures& measures);

} // namespace bevel
