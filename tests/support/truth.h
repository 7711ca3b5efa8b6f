// Truth that is not the program's: angles, lengths, contacts and shifts worked out from exact points by formulas written for the tests
// alone. Nothing here calls the measures, the shift finder or a constant shared with them.
#pragma once
#include "core/sim/take.h"
#include <map>
#include <string>

namespace bevel::test {

/// Figures of one frame by the ids of the catalogue. Absent where a figure has no meaning on the frame.
struct FrameTruth {
    std::map<std::string, double> value;
};

/// The quiet posture a clip is held against: the student's exact points, averaged.
struct QuietTruth {
    bool known = false;
    double ears_ahead_cm = 0, hip_height = 0, nose_pitch = 0;
    std::array<double, 2> ear_over_shoulder{0, 0};
};
QuietTruth quiet_truth(const sim::Take& take, double from_s, double to_s);
/// The same of other points in place of the take's own.
QuietTruth quiet_truth(const std::vector<Body3>& points, const sim::Take& take, double from_s, double to_s);

/// All figures of a frame of the take.
FrameTruth frame_truth(const sim::Take& take, std::size_t frame, const QuietTruth& quiet);
/// The same of any points of a body that faces so far to its own left (rad) from the room's z.
FrameTruth frame_truth(const Body3& body, double facing, const BodyDims& dims, const QuietTruth& quiet);

struct ShiftTruth {
    double onset_s, start_s, end_s, from, to;
};
/// Transfers of the body centre (of the student's own segments) between the feet by more than `least`, from the exact course.
std::vector<ShiftTruth> shift_truth(const sim::Take& take, double least);

struct ContactTruth {
    Side side;
    double flat_s;
};
/// Moments at which a foot becomes flat after it was not.
std::vector<ContactTruth> flat_truth(const sim::Take& take);

} // namespace bevel::test
