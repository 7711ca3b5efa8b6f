// Lengths of a body and the masses of its segments.
#pragma once
#include "core/body/points.h"

namespace bevel {

/// Lengths in metres. Joint centres; SW is `shoulder_width`.
struct BodyDims {
    double stature, ankle_height, shank, thigh, hip_width, shoulder_width, trunk, neck_to_ear, ear_forward;
    double upper_arm, forearm, hand, foot_length, heel_behind; // heel_behind: ankle to heel, along the foot

    /// Mean adult proportions (Winter 2009, Biomechanics and Motor Control, after Drillis and Contini; joint-centre widths),
    /// such that ankle to ear is 0.887 of stature.
    static BodyDims of_stature(double metres);
    double hip_height() const { return ankle_height + shank + thigh; }
};

enum class Sex { female, male, mean };

/// Mass shares and centres by de Leva (1996, J Biomech 29:1223): share of the body's mass, and the centre as a share of the segment's
/// length from its proximal end. Trunk from mid-shoulder to mid-hip; shank from knee to ankle joint centre; head taken at mid-ear.
struct SegmentTable {
    double head, trunk, trunk_at, upper_arm, upper_arm_at, forearm, forearm_at, hand, thigh, thigh_at, shank, shank_at, foot, foot_at;
    static SegmentTable of(Sex sex);
};

/// Centre of mass of the body, metres.
Vec3 body_centre(const Body3& body, const SegmentTable& table);

/// The linear weights behind body_centre: centre = sum of weight * point, weights adding to 1.
std::array<double, point_count> centre_weights(const SegmentTable& table);

} // namespace bevel
