// Bodies of a repetition in its own frame: origin between the ankles at its beginning, z the way the student faced then, led by the left.
#pragma once
#include "core/learn/learn.h"

namespace bevel::learning {

inline constexpr double figure_m = 1.7; // stature of the figure that postures are told for

/// Frame nearest to a time.
std::size_t frame_at(const std::vector<double>& time_s, double t);
/// Value of a measure around a time, ±0.1 s; nothing where it is absent there.
std::optional<double> value_at(const Measures& ms, const std::string& id, std::optional<Side> side, double t);

/// What a repetition is seen in.
struct RepetitionFrame {
    const Motion* motion = nullptr;
    double yaw = 0, scale = 1;
    Vec3 origin = Vec3::Zero();
    bool mirrored = false;
    RepetitionFrame(const Motion& m, double from_s, Side lead, double stature_m);
    /// Scaled to the figure's stature.
    Body3 body(std::size_t frame) const;
    /// The same turn and mirror for a direction.
    Vec3 direction(const Vec3& v) const;
};

/// The body at a moment as one clip shows it: mean of its repetitions, with the covariance of each point, m.
struct SeenBody {
    Body3 points{};
    std::array<Eigen::Matrix3d, point_count> information{}; // inverse covariance
    std::optional<double> weight_left, depth;               // as measured; led by the left
    int n = 0;
};

/// Where a foot is at the end of a phase.
struct SeenFoot {
    Vec2 place = Vec2::Zero(); // ankle, x and z, m of the figure
    double toe_out = 0;        // degrees
    Vec2 heel = Vec2::Zero(), ball = Vec2::Zero();
    double lift = 0; // of its lowest point, m
    Contact contact = Contact::flat;
};

/// Posture of the figure that is nearest to what was seen, feet given; what cannot be seen stays as in `prior`.
Posture fit_posture(const Posture& prior, const Posture& quiet, const std::vector<SeenBody>& seen, double* misfit_m = nullptr);

} // namespace bevel::learning
