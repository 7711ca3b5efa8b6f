// One body fitted to all frames of a clip of one camera, or of two at once: points that keep their distances, feet that stay where they are
// planted, over a floor, smooth in time; cameras, lengths of the body and what the body finder does with this person are unknowns beside
// it. Nonlinear least squares (Ceres); robust to points that were found wrongly.
#pragma once
#include "core/fit/clocks.h"
#include <stop_token>

namespace bevel {

/// A clip that takes part: its track with layers and offsets applied (derive), and what it shows by itself.
struct FitShot {
    Track track;
    Motion motion;
    double offset_s = 0, offset_sigma_s = 0; // its clock on the first one's
};

struct FitOptions {
    double stature_m = 1.70, stature_sigma_m = 0.09;
    double step_s = 0.1; // between moments that are solved for; between them by a cubic
    int most_rounds = 40;
};

/// A camera in the room of the fit.
struct PlacedCamera {
    Camera camera;
    Vec3 at = Vec3::Zero(); // m
    double yaw = 0;         // rad; it looks along (sin yaw, cos yaw) in the floor plane (x, z)
    Vec2 pixel(const Vec3& room) const;
    Vec3 sight(double x, double y) const; // direction of the ray through a pixel, room axes
};

/// A change of all moments that go together, were one independent unknown of the clip off by one sigma.
struct FitFactor {
    bool person = false;      // rests on the person's lengths and offsets rather than on the cameras
    std::vector<Body3> moved; // difference, m, room axes
};

inline constexpr int fit_factors = 12;

struct FittedBody {
    std::vector<double> time_s;                                // on the first clip's clock
    std::vector<Body3> m;                                      // room of the first clip's motion
    std::vector<std::array<Eigen::Matrix3f, point_count>> own; // covariance of a moment alone, m^2
    std::vector<FitFactor> factors;
    std::vector<PlacedCamera> cameras;
    double offset_s = 0, offset_sigma_s = 0; // of the second clip, refined
    double stature_m = 0, stature_sigma_m = 0;
    double misfit = 0; // what is left between points and their pictures, in stated sigmas: median over all
    double worst = 0;  // the same over the five seconds that fit worst; of a fit just made, not kept
    int rounds = 0;
};

/// How badly one body fits all shots where their clocks are set so: of moments far apart, the mean cost of one (half of the squares of what
/// is left, in sigmas, heavy tails cut). Errors as fit_body.
struct FitCost {
    double a_moment = 0;
    std::size_t moments = 0;
};
Result<FitCost> fit_cost(std::span<const FitShot> shots, const FitOptions& options, std::stop_token stop = {});

/// cannot_judge: "no_body" (too few moments seen by all cameras), "apart" (the clips do not fit one body); cancelled.
Result<FittedBody> fit_body(std::span<const FitShot> shots, const FitOptions& options, std::stop_token stop = {});

} // namespace bevel
