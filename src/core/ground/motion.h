// The body in the room over time, as far as the cameras can tell, and what is fixed for the whole clip: camera, floor, scale, facing,
// neutral.
#pragma once
#include "core/body/dims.h"
#include "core/ground/camera.h"
#include "core/ground/own_neutral.h"
#include "core/result.h"
#include <span>

namespace bevel {

enum class NeutralSource { quiet_second, proportions };

/// The student standing quietly. Lengths in metres.
struct Neutral {
    NeutralSource source = NeutralSource::proportions;
    double from_s = 0, to_s = 0;                         // where in the clip it was found
    double shoulder_width = 0, shoulder_width_sigma = 0; // SW
    From width_from = From::proportions;
    double hip_height = 0;
    double thigh = 0, shank = 0, trunk = 0, foot = 0;
    Body3 body;                                // median of the quiet second, in the student's own axes; proportions: not to be used
    double knee_sum = 0;                       // mean knee bend while standing, degrees
    OwnFigures own;                            // the person's own, in place of this clip's, as a clip of this view shows them
    std::optional<Comfort> depth, twist, bend; // comfortable range of the person
};

/// 1-sigma of a point, m: level and across the line of sight, upright and across it, and along it. For points given in metres all are the
/// same.
struct PointSigma {
    float across = 0, up = 0, depth = 0; // changes from frame to frame
    float person = 0, person_up = 0;     // across and up; stays with the person for the whole clip
};

/// An error that all frames of a clip share: the points, facing and lengths as they would be were one figure off by one sigma. Kept on a
/// coarse grid of frames.
struct SharedError {
    std::string what;                       // focal, pitch, roll, distortion, scale, floor, depth, left_foot, right_foot, facing, width
    bool person = false;                    // stays with the person, else with the clip
    std::vector<Body3> moved;               // own axes, one a grid frame; empty: the points do not move
    Body3 neutral;                          // own axes
    double stature = 0, shoulder_width = 0; // m, of the moved world
};

/// Slopes of the back in the sagittal plane on a frame, degrees forward from upright, going up: tail to low back, low back to mid back, mid
/// back to the seventh neck vertebra. From marked points; absent where one is missing or the picture does not show the plane.
struct BackSlopes {
    std::optional<double> low, middle, upper;
};

/// One entry a frame. Room: y up, z the way the student faces at the start, x to own left; origin on the floor midway between the ankles
/// at the start. What the camera cannot tell carries a large sigma along the line of sight; it is never a number without one.
struct Motion {
    View view = View::three_d; // where the camera stands for most of the clip; of one whose turns are known, as it begins
    bool from_pictures() const { return view != View::three_d; }
    bool fitted = false; // in the room, and told from pictures of several cameras: points wander as those of pictures do
    std::vector<double> time_s;
    std::vector<Body3> m;
    std::vector<std::array<PointSigma, point_count>> sigma;
    std::vector<bool> valid;
    std::vector<bool> otherwise; // not valid since the student plainly faces another way than is taken; empty where that is not asked
    std::vector<double> facing;  // rad to own left from the start; frozen while the feet stay planted
    double facing_sigma = 0.02;  // rad
    std::vector<double> azimuth; // one camera: angle from the way the student faces to the camera, to own left, rad
    double start_yaw = 0;        // rad, points in metres: of the way the student faced at the start in their own axes
    double start_azimuth = 0;    // the same in the room: of the first frames
    /// One camera: heel and toe (left heel, left toe, right heel, right toe) on the picture as if at the standing distance, m: (right, up).
    /// A foot that rests keeps its place here whatever its depth; a step towards the camera moves down. Empty for 3D points.
    std::vector<std::array<Vec2, 4>> foot_place;
    double together_s = 0;      // points in metres: time over which their errors go together; 0: from frame to frame
    double jitter = 0;          // m, the part of sigma that changes from frame to frame, after filtering
    bool vertical_known = true; // told from something other than the body
    double vertical_sigma = 0;  // rad
    bool floor_known = true;    // depth of the feet can be told
    bool apart_known = true;    // and how far apart in depth they stand
    double floor_y_sigma = 0;   // m, of heights over the floor
    double stature = 1.7, stature_sigma = 0.02;
    From scale_from = From::assumed;
    double rate = 30;
    std::optional<Camera> camera;
    Vec3 camera_at = Vec3::Zero(); // m, in the room
    Neutral neutral;
    std::vector<BackSlopes> back; // a frame each; empty without marked points
    double back_sigma = 0;        // degrees, of a slope
    std::vector<BreathMark> breaths;
    std::string mirrored_hint;     // why the clip may be mirrored, or empty: "view"
    bool side_doubted = false;     // the body shows itself from 50 to 130 degrees off the side that was declared
    bool not_as_declared = false;  // and is taken as it shows itself, since the movement is found so (make_review)
    std::vector<std::size_t> grid; // frames on which shared errors are kept
    std::vector<SharedError> shared;
    std::size_t frames() const { return time_s.size(); }
    /// The body of a frame in the student's own axes: x to own left, z the way they face.
    Body3 own(std::size_t frame) const;
    /// Whether own sideways / forward direction lies in the picture for most of the clip (always for 3D points).
    bool has_x = true, has_z = true;
};

struct MotionOptions {
    std::optional<View> view;               // as declared
    std::optional<double> stature_m;        // the student's height
    std::optional<double> shoulder_width_m; // from an earlier clip of this student; used where this one cannot show it
    PersonNeutral own;                      // what is right for this person; ranges told from this very clip are to be taken out before
    /// One camera: how the student is known to turn in the clip (s; rad to own left from the start), in order of time, read between; as in
    /// a linked form whose parts were found. From where the start is seen is then told from all of the clip.
    std::vector<std::pair<double, double>> turned;
    /// The student is to face one way: where they plainly do not (a turn that was not followed, left taken for right), nothing is told.
    bool one_way = false;
    bool fitted = false; // points in metres are those of a fit (core/fit)
    bool filter = true;
    bool errors = true;   // shared errors are worked out
    double cutoff_hz = 0; // 0: 6 Hz for 3D points, 4 Hz for points found on pictures
    std::string validate() const;
};

/// Puts a track on the ground: layers, camera, facing, floor, scale, filter, neutral. cannot_judge with a reason code as context:
/// "no_body", "too_short", "feet_cut_off", "view_needed", "too_small".
Result<Motion> make_motion(const Track& track, const MotionOptions& options);

/// These moments of a motion alone, as a clip of its own: where its camera stands and what it shows is told from them. The quiet stand
/// keeps its lengths; its posture is not told where it was seen from another side. `own`: what is right for the person.
Motion stretch_of(const Motion& motion, double from_s, double to_s, const PersonNeutral& own);

/// The same for clips of several cameras. One shot today; more are refused with "one_camera".
Result<Motion> ground(std::span<const Shot> shots, const MotionOptions& options);

/// Which side a picture track is seen from, told from shoulders, hips, face and feet.
View guess_view(const Track& track);

} // namespace bevel
