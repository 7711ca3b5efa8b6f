// What is marked on the ground of a clip during a visit.
#pragma once
#include "core/ground/marks.h"
#include "core/ground/plan.h"

namespace bevel::ui {

struct GroundMarks {
    Layers layers;
    std::vector<UprightMark> uprights; // of this visit: what was marked before is in the layers
    std::vector<StraightEdge> edges;
    std::optional<FloorMark> mat;
    std::vector<SupportState> states; // of the clip
};

/// What can be taken back as a whole.
enum class Marked { vertical, lens, scale, plan, floor, trim, edits, shake, support, own_units };

} // namespace bevel::ui
