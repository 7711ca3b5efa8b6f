// The measures that one frame tells: a function each of the body in the student's own axes and of what is known of the person.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

struct Value {
    double v = 0;
    Absent absent = Absent::none;
    Value(double x) : v(x) {} // NOLINT: a plain number is a present value
    Value(Absent a) : absent(a) {}
};

/// What a frame measure may look at besides the points. Lengths in metres.
struct Build {
    const Body3* neutral = nullptr; // quiet stand in own axes; null without one
    std::optional<double> own = {}; // the person's own neutral figure of this measure (OwnPart), in place of that of the quiet stand
    double stature = 1.7, shoulder_width = 0.35, hip_height = 0.9, thigh = 0.42;
    Side side = Side::left;
    const MeasureInfo* info = nullptr;
};

enum class Axis { any, sideways, forward, plan, room };

struct FrameMeasure {
    const char* id;
    Axis axis;                 // what must be seen; plan: the floor; room: all three coordinates
    std::vector<Point> points; // left ones for a sided measure (its pairs are named in full)
    Value (*f)(const Body3&, const Build&);
};
const std::vector<FrameMeasure>& frame_measures();

} // namespace bevel
