// The body in metres over time, as far as the view can tell, and what is fixed for the whole clip: floor, scale, neutral.
#pragma once
#include "core/body/dims.h"
#include "core/result.h"

namespace bevel {

enum class NeutralSource { quiet_second, proportions };

/// The student standing quietly. Lengths in metres.
struct Neutral {
    NeutralSource source = NeutralSource::proportions;
    double from_s = 0, to_s = 0;                         // where in the clip it was found
    double shoulder_width = 0, shoulder_width_sigma = 0; // SW
    double hip_height = 0;
    double thigh = 0, shank = 0, trunk = 0, foot = 0;
    double head_offset = 0; // mid-ear ahead of mid-shoulder
    double ear_shoulder_gap = 0;
    double knee_sum = 0; // mean knee bend while standing, degrees
};

/// Camera of a single-camera clip as it was estimated.
struct CameraEstimate {
    double focal_px = 0, focal_sigma = 0; // taken from what phones usually have
    double pitch = 0, roll = 0;           // rad; looking down and clockwise positive
    double pitch_sigma = 0, roll_sigma = 0;
    double height = 0;                    // m over the floor
    double distance = 0;                  // m, to the student when standing
    double px_per_m = 0, scale_sigma = 0; // at the student; relative sigma
    bool vertical_from_room = false;
};

/// One entry a frame. Coordinates the view cannot tell are 0 and must not be used (see has_x, has_z).
struct Motion {
    View view = View::three_d;
    bool has_x = true, has_z = true; // sideways and forward coordinates are known
    std::vector<double> time_s;
    std::vector<Body3> m;
    std::vector<std::array<double, point_count>> sigma; // m, 1-sigma of each coordinate, error that stays through the clip included
    std::vector<bool> valid;
    /// One camera: heel and toe (left heel, left toe, right heel, right toe) on the picture as if at the standing distance, m: (right, up).
    /// A foot that rests keeps its place here whatever its depth; a step towards the camera moves down. Empty for 3D points.
    std::vector<std::array<Vec2, 4>> foot_place;
    double jitter = 0;         // m, the part of sigma that changes from frame to frame, after filtering
    double vertical_sigma = 0; // rad, of the vertical itself
    double stature = 1.7, stature_sigma = 0.02;
    double rate = 30;
    std::optional<CameraEstimate> camera;
    Neutral neutral;
    std::size_t frames() const { return time_s.size(); }
};

struct MotionOptions {
    std::optional<View> view;               // as declared; needed for tracks of pixels
    std::optional<double> stature_m;        // the student's height
    std::optional<double> shoulder_width_m; // from an earlier clip of this student; used where this one cannot show it
    bool filter = true;
    double cutoff_hz = 0; // 0: 6 Hz for 3D points, 4 Hz for points found on pictures
    std::string validate() const;
};

/// Puts a track on the ground: vertical, floor, scale, filter, neutral. cannot_judge with a reason code as context:
/// "no_body", "too_short", "feet_cut_off", "view_needed", "oblique_view", "too_small".
Result<Motion> make_motion(const Track& track, const MotionOptions& options);

/// Which side a picture track is seen from, told from the width of the shoulders against the trunk and from the face.
View guess_view(const Track& track);

} // namespace bevel
