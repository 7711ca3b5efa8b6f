#include "core/fit/skeleton.h"

namespace bevel::fit {
namespace {

enum Of : int {
    hips,
    thigh,
    shank,
    heel,
    toe,
    foot,
    shoulders,
    flank,
    upper_arm,
    forearm,
    ears,
    face,
    brow,
    cheek,
    thumb,
    palm,
    knuckles,
    trunk,
    neck
};
constexpr std::array<Length, 19> all_lengths{{
    {0.100, 0.10},  // hips
    {0.245, 0.045}, // thigh
    {0.246, 0.04},  // shank
    {0.0545, 0.12}, // ankle to heel
    {0.1205, 0.08}, // ankle to toe
    {0.152, 0.04},  // foot
    {0.205, 0.07},  // shoulders
    {0.293, 0.04},  // shoulder to hip
    {0.165, 0.05},  // upper arm
    {0.150, 0.05},  // forearm
    {0.086, 0.08},  // ear to ear
    {0.077, 0.10},  // ear to nose
    {0.027, 0.30},  // eye to nose
    {0.058, 0.20},  // eye to ear
    {0.040, 0.30},  // wrist to thumb
    {0.055, 0.15},  // wrist to knuckles
    {0.030, 0.35},  // index to little knuckle
    {0.288, 0.035}, // trunk
    {0.108, 0.08},  // neck
}};

constexpr std::array<Bone, 36> all_bones{{
    {left_hip, right_hip, hips, 0.004},
    {left_hip, left_knee, thigh, 0.006},
    {right_hip, right_knee, thigh, 0.006},
    {left_knee, left_ankle, shank, 0.005},
    {right_knee, right_ankle, shank, 0.005},
    {left_ankle, left_heel, heel, 0.004},
    {right_ankle, right_heel, heel, 0.004},
    {left_ankle, left_toe, toe, 0.005},
    {right_ankle, right_toe, toe, 0.005},
    {left_heel, left_toe, foot, 0.004},
    {right_heel, right_toe, foot, 0.004},
    {left_shoulder, right_shoulder, shoulders, 0.012},
    {left_shoulder, left_hip, flank, 0.025},
    {right_shoulder, right_hip, flank, 0.025},
    {left_shoulder, left_elbow, upper_arm, 0.006},
    {right_shoulder, right_elbow, upper_arm, 0.006},
    {left_elbow, left_wrist, forearm, 0.006},
    {right_elbow, right_wrist, forearm, 0.006},
    {left_ear, right_ear, ears, 0.003},
    {left_ear, nose, face, 0.003},
    {right_ear, nose, face, 0.003},
    {left_eye, nose, brow, 0.003},
    {right_eye, nose, brow, 0.003},
    {left_eye, left_ear, cheek, 0.003},
    {right_eye, right_ear, cheek, 0.003},
    {left_eye, right_eye, knuckles, 0.02},
    {left_wrist, left_thumb, thumb, 0.008},
    {right_wrist, right_thumb, thumb, 0.008},
    {left_wrist, left_index, palm, 0.006},
    {right_wrist, right_index, palm, 0.006},
    {left_wrist, left_little, palm, 0.006},
    {right_wrist, right_little, palm, 0.006},
    {left_index, left_little, knuckles, 0.008},
    {right_index, right_little, knuckles, 0.008},
    {left_thumb, left_index, thumb, 0.015},
    {right_thumb, right_index, thumb, 0.015},
}};

constexpr std::array<Span, 2> all_spans{{
    {left_shoulder, left_hip, trunk, 0.010},
    {left_ear, left_shoulder, neck, 0.012},
}};

} // namespace

std::span<const Bone> bones() {
    return all_bones;
}
std::span<const Length> lengths() {
    return all_lengths;
}
std::span<const Span> spans() {
    return all_spans;
}

double usual_acceleration(Point p) {
    switch (p == nose || p < right_eye ? p : mirrored(p)) {
    case left_elbow:
    case left_wrist:
    case left_thumb:
    case left_index:
    case left_little:
        return 1.5;
    case left_knee:
    case left_ankle:
    case left_heel:
    case left_toe:
        return 1.0;
    default:
        return 0.6; // hips, trunk, head
    }
}

} // namespace bevel::fit
