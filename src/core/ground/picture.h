// One camera: from pixels to the level frame of the camera. Used by ground() only.
#pragma once
#include "core/ground/derive.h"
#include "core/ground/motion.h"

namespace bevel::grounding {

/// One figure of the clip off by so many of its own sigmas; all zero is the best estimate.
struct Off {
    double focal = 0, pitch = 0, roll = 0, distortion = 0, scale = 0, floor = 0, depth = 0, left_foot = 0, right_foot = 0;
};

inline constexpr double ankle_share = 0.039, ankle_spread = 0.008; // height of the ankle, of stature; m

/// A stretch in which a foot rests, with its place on the picture.
struct FootRest {
    double from_s = 0, to_s = 0;
    Vec2 ankle = Vec2::Zero(); // px, median
    double depth_sigma = 0;    // m, that its noise leaves in its depth on the floor
};

class Picture {
public:
    Picture(const Track& derived, const MotionOptions& options) : t_(derived), o_(options) {}

    /// Camera, standing frames, rests of the feet and facing. cannot_judge as make_motion.
    Result<bool> look();

    Camera camera(const Off& off) const;
    struct Depths {
        std::array<std::vector<double>, 2> of; // m of w, left and right foot, per frame asked for
    };
    Depths depths(const Camera& c, const Off& off, const std::vector<std::size_t>& frames) const;
    /// Points of a frame in the level frame (r, u over the floor, w).
    Body3 level(std::size_t frame, const Camera& c, double left_w, double right_w, const Off& off) const;
    std::array<PointSigma, point_count> sigma(std::size_t frame, const Camera& c, double w) const;
    std::array<Vec2, 4> foot_place(std::size_t frame, const Camera& c) const;

    const std::vector<double>& azimuth() const { return axis_; } // rad, against the optical axis
    /// Whether the body plainly faces another way on a frame than it is placed by: after a turn that was not followed, or where the finder
    /// took left for right.
    bool faces_otherwise(std::size_t frame) const { return otherwise_[frame]; }
    double to_sight(std::size_t frame, const Camera& c) const; // what to subtract to have it against the line of sight
    double azimuth_sigma() const { return azimuth_sigma_; }
    double stature() const { return stature_; }
    double stature_sigma() const { return stature_sigma_; }
    From scale_from() const { return scale_from_; }
    bool floor_known() const { return floor_known_; }
    bool apart_known() const { return apart_known_; }
    bool vertical_known() const { return t_.layers.plan || (t_.vertical && t_.vertical->from_room); }
    const std::string& mirrored_hint() const { return mirrored_hint_; }
    bool side_doubted() const { return side_doubted_; }
    /// Sigma of the figure behind each field of Off, in its own unit.
    double scale_sigma() const { return scale_sigma_; }

private:
    Camera prior(const Off& off) const;
    void find_standing(const Camera& c);
    void find_rests(const Camera& c);
    void drop_held_up(const Camera& c);
    void find_walk(const Camera& c);
    /// How far away the student is at a time, m: as at the quiet stand, or on a walk to or from the camera.
    double away(const Camera& c, double t) const;
    void doubt_raised_heels(const Camera& c);
    void face(const Camera& c);
    void find_facing(const Camera& c, const std::vector<Azimuth>& cue);
    void find_otherwise(const Camera& c);
    void face_as_known(const std::vector<Azimuth>& cue, std::optional<double> declared);
    bool resting(Side side, double t) const;
    /// 1-sigma of a foot's depth, m: told where it rests, carried over a step, a guess where no rest is near.
    double foot_depth_sigma(Side side, double t) const;
    double toe_out(std::size_t frame, Side side, const Camera& c, double w) const;

    const Track& t_;
    const MotionOptions& o_;
    double stature_ = 1.7, stature_sigma_ = 0.09, scale_sigma_ = 0.05;
    From scale_from_ = From::assumed;
    std::vector<std::size_t> standing_; // frames on which the body is at its longest
    double bent_ = 1;                   // ankle to ear against the sum of the segments on them
    std::array<std::vector<FootRest>, 2> rests_;
    std::vector<std::pair<double, double>> walk_; // time, times the distance of the quiet stand; empty: about one place throughout
    std::vector<double> axis_;
    std::vector<bool> otherwise_;
    double azimuth_sigma_ = 0.08;
    bool floor_known_ = true, apart_known_ = true;
    std::string mirrored_hint_;
    bool side_doubted_ = false;
};

} // namespace bevel::grounding
