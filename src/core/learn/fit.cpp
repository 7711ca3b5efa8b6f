#include "core/learn/frames.h"
#include <algorithm>
#include <ceres/ceres.h>
#include <cmath>

namespace bevel::learning {
namespace {

/// What may be fitted, with how far it is likely to be from the prior (one sigma).
struct Dial {
    double Posture::*whole = nullptr;
    HandTarget Posture::*hand = nullptr;
    double HandTarget::*of_hand = nullptr;
    double spread = 1, low = -1e9, high = 1e9;
    double& of(Posture& p) const { return whole ? p.*whole : p.*hand.*of_hand; }
};

const std::vector<Dial>& dials() {
    static const std::vector<Dial> all = [] {
        std::vector<Dial> d{{&Posture::weight_left, {}, {}, 0.25, 0, 1},
                            {&Posture::depth, {}, {}, 0.15, 0.42, 1.08},
                            {&Posture::pelvis_turn, {}, {}, 30, -85, 85},
                            {&Posture::shoulder_turn, {}, {}, 40, -110, 110},
                            {&Posture::lean, {}, {}, 15, -25, 85},
                            {&Posture::side, {}, {}, 10, -40, 40},
                            {&Posture::gaze_turn, {}, {}, 20, -75, 75},
                            {&Posture::gaze_pitch, {}, {}, 15, -55, 55},
                            {&Posture::forward, {}, {}, 0.06, -0.3, 0.4},
                            // Lean and the bends of the back look much alike on few points.
                            {&Posture::low_back, {}, {}, 3, -25, 55},
                            {&Posture::upper_back, {}, {}, 3, -25, 55},
                            {&Posture::neck, {}, {}, 6, -40, 55}};
        for (const auto hand : {&Posture::left_hand, &Posture::right_hand}) {
            d.push_back({{}, hand, &HandTarget::x, 0.8, -2.9, 2.9});
            d.push_back({{}, hand, &HandTarget::y, 0.8, -2.9, 2.9});
            d.push_back({{}, hand, &HandTarget::z, 0.8, -2.9, 2.9});
            d.push_back({{}, hand, &HandTarget::elbow_out, 30, -15, 115});
            d.push_back({{}, hand, &HandTarget::palm, 40, -170, 170});
        }
        return d;
    }();
    return all;
}

constexpr std::array<Point, 21> fitted{nose,        left_ear,    right_ear,  left_shoulder, right_shoulder, left_elbow,   right_elbow,
                                       left_wrist,  right_wrist, left_index, right_index,   left_little,    right_little, left_thumb,
                                       right_thumb, left_hip,    right_hip,  left_knee,     right_knee,     left_ankle,   right_ankle};

struct Misfit {
    const Posture& prior;
    const Solver& solver;
    const std::vector<SeenBody>& seen;
    std::size_t size() const { return seen.size() * (fitted.size() * 3 + 2) + dials().size(); }
    Posture posture(const double* x) const {
        Posture p = prior;
        for (std::size_t i = 0; i < dials().size(); ++i)
            dials()[i].of(p) = std::clamp(dials()[i].of(p) + x[i] * dials()[i].spread, dials()[i].low, dials()[i].high);
        return p;
    }
    bool operator()(double const* const* at, double* r) const {
        const Posture p = posture(at[0]);
        const Pose pose = solver.solve(channels_of(p));
        for (const auto& s : seen) {
            for (const Point q : fitted) {
                const auto k = static_cast<std::size_t>(q);
                // Root of the information times the difference: its square is the distance in sigmas.
                const Eigen::LLT<Eigen::Matrix3d> root(s.information[k]);
                Eigen::Map<Vec3>{r} = Eigen::Matrix3d(root.matrixU()) * (pose.points[k] - s.points[k]);
                r += 3;
            }
            const double hips = mid(pose.points, left_hip).y() / solver.neutral_hip_height();
            *r++ = s.weight_left ? (p.weight_left - *s.weight_left) / 0.03 : 0;
            *r++ = s.depth ? (hips - *s.depth) / 0.01 : 0;
        }
        for (std::size_t i = 0; i < dials().size(); ++i) *r++ = at[0][i];
        return true;
    }
};

} // namespace

std::size_t frame_at(const std::vector<double>& time_s, double t) {
    const auto it = std::lower_bound(time_s.begin(), time_s.end(), t);
    if (it == time_s.begin()) return 0;
    if (it == time_s.end()) return time_s.size() - 1;
    const auto k = static_cast<std::size_t>(it - time_s.begin());
    return t - time_s[k - 1] < time_s[k] - t ? k - 1 : k;
}

std::optional<double> value_at(const Measures& ms, const std::string& id, std::optional<Side> side, double t) {
    const auto* s = ms.find(id, side);
    if (!s) return std::nullopt;
    double sum = 0;
    int n = 0;
    for (std::size_t k = frame_at(ms.time_s, t - 0.1); k < s->samples.size() && ms.time_s[k] <= t + 0.1; ++k)
        if (s->samples[k].present()) sum += s->samples[k].value, ++n;
    return n > 0 ? std::optional(sum / n) : std::nullopt;
}

RepetitionFrame::RepetitionFrame(const Motion& m, double from_s, Side lead, double stature_m)
    : motion(&m), scale(stature_m / m.stature), mirrored(lead == Side::right) {
    const std::size_t k = frame_at(m.time_s, from_s);
    yaw = m.facing[k];
    origin = mid(m.m[k], left_ankle);
    origin.y() = 0;
}

Vec3 RepetitionFrame::direction(const Vec3& v) const {
    const double c = std::cos(yaw), s = std::sin(yaw);
    Vec3 out(v.x() * c - v.z() * s, v.y(), v.x() * s + v.z() * c);
    if (mirrored) out.x() = -out.x();
    return out;
}

Body3 RepetitionFrame::body(std::size_t frame) const {
    Body3 out;
    for (int p = 0; p < point_count; ++p) {
        const Point q = mirrored ? bevel::mirrored(static_cast<Point>(p)) : static_cast<Point>(p);
        out[static_cast<std::size_t>(p)] = scale * direction(motion->m[frame][static_cast<std::size_t>(q)] - origin);
    }
    return out;
}

Posture fit_posture(const Posture& prior, const Posture& quiet, const std::vector<SeenBody>& seen, double* misfit_m) {
    const Solver solver(BodyDims::of_stature(figure_m), quiet);
    const Misfit misfit{prior, solver, seen};
    std::vector<double> x(dials().size(), 0);
    ceres::Problem problem;
    auto* cost = new ceres::DynamicNumericDiffCostFunction<Misfit>(new Misfit(misfit));
    cost->AddParameterBlock(static_cast<int>(x.size()));
    cost->SetNumResiduals(static_cast<int>(misfit.size()));
    problem.AddResidualBlock(cost, nullptr, x.data());
    ceres::Solver::Options o;
    o.max_num_iterations = 25;
    o.function_tolerance = 1e-4;
    o.logging_type = ceres::SILENT;
    o.linear_solver_type = ceres::DENSE_QR;
    ceres::Solver::Summary summary;
    ceres::Solve(o, &problem, &summary);
    const Posture out = misfit.posture(x.data());
    if (misfit_m) {
        // Along the line of sight a single camera says little: only what it shows counts.
        const Pose pose = solver.solve(channels_of(out));
        double sum = 0, n = 0;
        for (const auto& s : seen)
            for (const Point q : fitted) {
                const auto k = static_cast<std::size_t>(q);
                const Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d> axes(s.information[k]);
                const Vec3 d = axes.eigenvectors().transpose() * (pose.points[k] - s.points[k]);
                sum += d.y() * d.y() + d.z() * d.z(); // the two best told
                n += 2;
            }
        *misfit_m = n > 0 ? std::sqrt(sum / n * 3 / 2) : 0;
    }
    return out;
}

} // namespace bevel::learning
