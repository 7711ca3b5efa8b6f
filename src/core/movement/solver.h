// From channels to a body in the room: two-bone legs and arms in closed form, the spine as a chain, planted feet pinned.
#pragma once
#include "core/body/dims.h"
#include "core/movement/movement.h"

namespace bevel {

enum Bone : int {
    bone_pelvis,
    bone_waist,
    bone_chest,
    bone_neck,
    bone_head,
    bone_upper_arm_l,
    bone_forearm_l,
    bone_hand_l,
    bone_thigh_l,
    bone_shank_l,
    bone_foot_l,
    bone_upper_arm_r,
    bone_forearm_r,
    bone_hand_r,
    bone_thigh_r,
    bone_shank_r,
    bone_foot_r,
};
inline constexpr int bone_count = 17;
inline constexpr int bone_side_offset = bone_upper_arm_r - bone_upper_arm_l;

/// A bone's place: rotation from its rest frame (x own left, y up, z forward) and the position of its joint, metres.
struct Frame {
    Eigen::Matrix3d r = Eigen::Matrix3d::Identity();
    Vec3 o = Vec3::Zero();
};

/// A round bar of wood: what chairs are made of.
struct Rod {
    Vec3 from, to;
    double radius = 0.015; // m
};
struct Pose {
    Body3 points;
    std::vector<Rod> chair;                    // of the one that is sat on, or whose back a hand may rest on; empty: none stands there
    std::optional<std::pair<Vec3, Vec3>> tool; // its front and back end, where one is held
    std::array<Frame, bone_count> bones;
    /// On the skin of the back and the top of the head, as a person would mark them.
    ExtraPoints marks() const;
};

/// The same pose where its frame lies in the room. `sw`: shoulder width, m.
Pose placed(Pose pose, const FloorFrame& frame, double sw);

/// Ends of what is held in both hands: in line with the palms, so far beyond the left hand and beyond the right.
std::pair<Vec3, Vec3> tool_ends(const Body3& body, const Tool& tool, double stature_m);

/// A plain chair. `seat`: middle of the seat's front half on its top, m; `ahead`: the way it faces. The top of its back is `back_m` over
/// the floor.
std::vector<Rod> chair_rods(const Vec3& seat, const Vec3& ahead, double back_m);

class Solver {
public:
    /// `quiet` is the posture whose hip height counts as depth 1. Room origin: midway between the ankles of `quiet`.
    Solver(const BodyDims& dims, const Posture& quiet);
    Pose solve(const Channels& c) const;
    /// A body standing straight with arms 30 degrees out, feet hip-wide: the rest pose of the drawn figure.
    Pose rest() const;
    const BodyDims& dims() const { return dims_; }
    double neutral_hip_height() const { return neutral_hip_; }

private:
    struct Foot {
        Vec3 ankle, heel, toe, forward;
    };
    Foot place_foot(const Channels::Foot& f, Side side) const;
    Pose build(const Channels& c, const Vec3& mid_hip, const std::array<Foot, 2>& feet) const;
    double reach_limit(const Channels& c, double x, double z, const std::array<Foot, 2>& feet) const;
    void leg(Pose& pose, Side side, const Foot& foot, double knee_in, double least, const Vec3& pelvis_forward) const;
    void arm(Pose& pose, Side side, const Vec3& wrist, const Channels::Hand& hand, double shoulder_yaw) const;

    BodyDims dims_;
    double neutral_hip_ = 0;
    std::array<double, 2> rest_twist_{0, 0}; // of the hand about the forearm in the rest pose, rad
};

/// Channels of a posture held still (feet as their contact asks).
/// The chair of a posture: under who sits, or beside, where a hand has its support; empty where there is none. `pose`: of that posture.
std::vector<Rod> chair_of(const Posture& p, const Pose& pose, const BodyDims& dims);
Channels channels_of(const Posture& p);
/// Height of a hand whatever its level, in shares of the trunk above the hips; and a hand set so high from the level it has.
double hand_height(const HandTarget& h);
void set_hand_height(HandTarget& h, double height);

} // namespace bevel
