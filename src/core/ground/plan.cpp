#include "core/ground/plan.h"
#include "core/ground/camera.h"
#include <ceres/ceres.h>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

constexpr double corner_sigma = 1.5, edge_sigma = 1.0;

/// Pixel of a point of the level frame (r, u, w); the same as Camera::project without the lens, for the solver's own numbers.
template <class T> std::array<T, 2> project(const T& log_focal, const T& pitch, const T& roll, const T& r, const T& u, const T& w) {
    const T ahead = w * cos(pitch) - u * sin(pitch), down = -u * cos(pitch) - w * sin(pitch), focal = exp(log_focal);
    const T x = focal * r / ahead, y = focal * down / ahead;
    return {cos(roll) * x - sin(roll) * y, sin(roll) * x + cos(roll) * y};
}

/// One corner: where the camera sees the point (a, b) of the rectangle.
struct Corner {
    double a, b, x, y; // m on the mat; px from the picture's middle
    template <class T> bool operator()(const T* camera, const T* place, T* residual) const {
        // camera: log focal, pitch, roll, log height; place: r, w of the first corner, turn
        const T c = cos(place[2]), s = sin(place[2]);
        const T r = place[0] + a * c - b * s, w = place[1] + a * s + b * c;
        const auto px = project<T>(camera[0], camera[1], camera[2], r, -exp(camera[3]), w);
        residual[0] = (px[0] - x) / corner_sigma;
        residual[1] = (px[1] - y) / corner_sigma;
        return true;
    }
};

struct Prior {
    std::array<double, 3> mean, sigma; // log focal, pitch, roll
    template <class T> bool operator()(const T* camera, T* residual) const {
        for (std::size_t i = 0; i < 3; ++i) residual[i] = (camera[i] - mean[i]) / sigma[i];
        return true;
    }
};

/// Distance of one point of an edge from the line through its first and last, lens taken out.
struct Straight {
    std::vector<Vec2> points; // half diagonals from the middle
    double sigma;             // in the same
    template <class T> bool operator()(T const* const* k, T* residual) const {
        std::vector<Eigen::Matrix<T, 2, 1>> straight;
        Eigen::Matrix<T, 2, 1> middle = Eigen::Matrix<T, 2, 1>::Zero();
        for (const auto& p : points) {
            Eigen::Matrix<T, 2, 1> d = p.cast<T>();
            for (int i = 0; i < 4; ++i) d = p.cast<T>() / (T(1) + k[0][0] * d.squaredNorm());
            straight.push_back(d);
            middle += d / T(static_cast<double>(points.size()));
        }
        // Line of least squares: direction of the larger spread.
        T xx(0), xy(0), yy(0);
        for (const auto& d : straight) {
            const Eigen::Matrix<T, 2, 1> e = d - middle;
            xx += e.x() * e.x();
            xy += e.x() * e.y();
            yy += e.y() * e.y();
        }
        const T angle = T(0.5) * atan2(T(2) * xy, xx - yy);
        for (std::size_t i = 0; i < straight.size(); ++i) {
            const Eigen::Matrix<T, 2, 1> e = straight[i] - middle;
            residual[i] = (e.y() * cos(angle) - e.x() * sin(angle)) / T(sigma);
        }
        return true;
    }
};

struct UsualLens {
    template <class T> bool operator()(const T* k, T* residual) const {
        residual[0] = k[0] / 0.02;
        return true;
    }
};
using Blocks = std::vector<std::pair<const double*, const double*>>;

ceres::Solver::Options quiet() {
    ceres::Solver::Options o;
    o.num_threads = 1;
    o.max_num_iterations = 200;
    o.logging_type = ceres::SILENT;
    o.linear_solver_type = ceres::DENSE_QR;
    return o;
}

double cross(const Vec2& a, const Vec2& b) {
    return a.x() * b.y() - a.y() * b.x();
}

/// Corners run round in one direction, none nearly in line with its neighbours.
bool convex(const std::array<Vec2, 4>& c) {
    int left = 0, right = 0;
    for (std::size_t i = 0; i < 4; ++i) {
        const Vec2 a = c[(i + 1) % 4] - c[i], b = c[(i + 2) % 4] - c[(i + 1) % 4];
        if (a.norm() < 8 || b.norm() < 8) return false;
        const double s = cross(a, b) / (a.norm() * b.norm());
        if (std::abs(s) < 0.02) return false;
        (s > 0 ? left : right) += 1;
    }
    return left == 4 || right == 4;
}

Camera camera_of(const CameraPlan& p, int width, int height, double distortion) {
    Camera c;
    c.cx = width / 2.0;
    c.cy = height / 2.0;
    c.focal.value = p.focal_px;
    c.pitch.value = p.pitch;
    c.roll.value = p.roll;
    c.distortion.value = distortion;
    c.height.value = p.height_m;
    c.settle();
    return c;
}

/// The corners of the mark on the picture as a pinhole would see them, from the picture's middle.
std::array<Vec2, 4> unbent(const std::array<Vec2, 4>& corners, const CameraPrior& prior) {
    const Vec2 middle(prior.width / 2.0, prior.height / 2.0);
    const double half = middle.squaredNorm();
    std::array<Vec2, 4> out;
    for (std::size_t i = 0; i < 4; ++i) {
        const Vec2 bent = corners[i] - middle;
        out[i] = bent;
        for (int k = 0; k < 4; ++k) out[i] = bent / (1 + prior.distortion * out[i].squaredNorm() / half);
    }
    return out;
}

Prior prior_of(const CameraPrior& prior) {
    const double longer = std::max(prior.width, prior.height);
    Prior p{{std::log(prior.focal_px.value_or(0.82 * longer)), 2 * deg, 0}, {prior.focal_px ? 0.02 : 0.28, 7 * deg, 3 * deg}};
    if (prior.vertical) {
        p.mean[1] = std::atan(prior.vertical->slope * std::exp(p.mean[0]));
        p.sigma[1] = std::max(0.5 * deg, prior.vertical->slope_sigma * std::exp(p.mean[0]) + std::abs(p.mean[1]) * p.sigma[0]);
        p.mean[2] = prior.vertical->roll;
        p.sigma[2] = std::max(0.1 * deg, prior.vertical->roll_sigma);
    }
    return p;
}

/// One solution from one beginning: the camera (logarithm of the focal length, pitch, roll, logarithm of its height) and where the mark
/// lies on its floor (right, away, turned).
class MarkFit {
public:
    MarkFit(const std::array<Vec2, 4>& mat, const std::array<Vec2, 4>& at, const Prior& p) : mat_(mat), at_(at), prior_(p) {}

    /// What it costs; none where it leads nowhere.
    std::optional<double> solve(double down, double high) {
        begin(down, high);
        problem_.AddParameterBlock(camera_.data(), 4);
        problem_.AddParameterBlock(place_.data(), 3);
        for (std::size_t i = 0; i < 4; ++i)
            problem_.AddResidualBlock(
                new ceres::AutoDiffCostFunction<Corner, 2, 4, 3>(new Corner{mat_[i].x(), mat_[i].y(), at_[i].x(), at_[i].y()}), nullptr,
                camera_.data(), place_.data());
        problem_.AddResidualBlock(new ceres::AutoDiffCostFunction<Prior, 3, 4>(new Prior(prior_)), nullptr, camera_.data());
        keep_in_bounds();
        ceres::Solver::Summary summary;
        ceres::Solve(quiet(), &problem_, &summary);
        if (!summary.IsSolutionUsable()) return std::nullopt;
        return summary.final_cost;
    }

    /// In front of the camera, on a floor below it, and where it is seen.
    bool plausible() const {
        bool seen = std::abs(camera_[1]) < 80 * deg && std::abs(camera_[2]) < 45 * deg;
        double misfit = 0;
        for (std::size_t i = 0; i < 4; ++i) {
            const double a = mat_[i].x(), b = mat_[i].y();
            const double w = place_[1] + a * std::sin(place_[2]) + b * std::cos(place_[2]),
                         r = place_[0] + a * std::cos(place_[2]) - b * std::sin(place_[2]);
            seen = seen && w * std::cos(camera_[1]) + std::exp(camera_[3]) * std::sin(camera_[1]) > 0.1;
            const auto px = project(camera_[0], camera_[1], camera_[2], r, -std::exp(camera_[3]), w);
            misfit = std::max(misfit, std::hypot(px[0] - at_[i].x(), px[1] - at_[i].y()));
        }
        return seen && misfit <= 4;
    }

    /// The camera with the root of its covariance; none where that cannot be told.
    std::optional<CameraPlan> plan() {
        ceres::Covariance::Options how;
        how.num_threads = 1;
        how.algorithm_type = ceres::DENSE_SVD;
        how.null_space_rank = -1;
        ceres::Covariance covariance(how);
        std::array<double, 16> cov{};
        if (!covariance.Compute(Blocks{{camera_.data(), camera_.data()}}, &problem_) ||
            !covariance.GetCovarianceBlock(camera_.data(), camera_.data(), cov.data()))
            return std::nullopt;
        const Eigen::Matrix4d m = Eigen::Map<const Eigen::Matrix<double, 4, 4, Eigen::RowMajor>>(cov.data());
        const Eigen::LLT<Eigen::Matrix4d> root(m + 1e-12 * Eigen::Matrix4d::Identity());
        if (root.info() != Eigen::Success) return std::nullopt;
        const Eigen::Matrix4d l = root.matrixL();
        CameraPlan plan{std::exp(camera_[0]), camera_[1], camera_[2], std::exp(camera_[3]), {}};
        std::size_t k = 0;
        for (int row = 0; row < 4; ++row)
            for (int col = 0; col <= row; ++col) plan.root[k++] = l(row, col);
        return plan;
    }

private:
    /// A camera of that height that looks down so much, the mark where its first two corners would lie on that floor.
    void begin(double down, double high) {
        camera_ = {prior_.mean[0], down * deg, prior_.mean[2], std::log(high)};
        Camera c;
        c.cx = c.cy = 0;
        c.focal.value = std::exp(camera_[0]);
        c.pitch.value = camera_[1];
        c.roll.value = camera_[2];
        c.settle();
        auto on_floor = [&](const Vec2& px) {
            const Vec2 ray = c.ray(px.x(), px.y());
            const double w = high / std::max(0.02, -ray.y());
            return Vec2(ray.x() * w, w);
        };
        const Vec2 first = on_floor(at_[0]), second = on_floor(at_[1]);
        place_ = {first.x(), first.y(), std::atan2(second.y() - first.y(), second.x() - first.x())};
    }

    /// Cameras that there are, and a mat that can be seen: outside of that the mapping runs away.
    void keep_in_bounds() {
        for (const auto& [k, low, high] : {std::tuple{0, prior_.mean[0] - 1.4, prior_.mean[0] + 1.4},
                                           {1, -60 * deg, 80 * deg},
                                           {2, -60 * deg, 60 * deg},
                                           {3, std::log(0.05), std::log(6.0)}}) {
            problem_.SetParameterLowerBound(camera_.data(), k, low);
            problem_.SetParameterUpperBound(camera_.data(), k, high);
        }
        for (const auto& [k, low, high] : {std::tuple{0, -20.0, 20.0}, {1, 0.2, 40.0}, {2, -7.0, 7.0}}) {
            problem_.SetParameterLowerBound(place_.data(), k, low);
            problem_.SetParameterUpperBound(place_.data(), k, high);
            auto& v = place_[static_cast<std::size_t>(k)];
            v = std::clamp(v, low + 1e-6, high - 1e-6);
        }
    }

    std::array<Vec2, 4> mat_, at_; // in metres on the mark; on the picture
    Prior prior_;
    ceres::Problem problem_;
    std::array<double, 4> camera_{};
    std::array<double, 3> place_{};
};

} // namespace

Result<CameraPlan> plan_from(const FloorMark& mark, const CameraPrior& prior) {
    if (prior.width <= 0 || prior.height <= 0 || !(mark.wide_m > 0.05) || !(mark.long_m > 0.05)) return fail(Code::bad_value, "corners");
    if (!convex(mark.corners)) return fail(Code::bad_value, "corners");
    const auto at = unbent(mark.corners, prior); // the lens first: what follows is a pinhole
    const Prior p = prior_of(prior);
    // The rectangle may be turned either way round, and the camera may look down on it more or less steeply: from several beginnings.
    std::optional<CameraPlan> best;
    double best_cost = 1e300;
    for (const int way : {1, -1}) {
        const double across = way * mark.long_m;
        for (const double down : {3.0, 12.0, 25.0, 40.0})
            for (const double high : {0.6, 1.3, 2.2}) {
                MarkFit fit({Vec2(0, 0), Vec2(mark.wide_m, 0), Vec2(mark.wide_m, across), Vec2(0, across)}, at, p);
                const auto cost = fit.solve(down, high);
                if (!cost || *cost >= best_cost - 1e-9 || !fit.plausible()) continue;
                const auto plan = fit.plan();
                if (!plan) continue;
                best = plan;
                best_cost = *cost;
            }
    }
    if (!best) return fail(Code::bad_value, "corners");
    return *best;
}

std::optional<LensBend> lens_from(const std::vector<StraightEdge>& edges, int width, int height) {
    if (width <= 0 || height <= 0) return std::nullopt;
    const double half = 0.5 * std::hypot(width, height);
    double k = 0;
    ceres::Problem problem;
    problem.AddParameterBlock(&k, 1);
    int used = 0;
    for (const auto& e : edges) {
        if (e.size() < 3 || e.size() > 200 || (e.back() - e.front()).norm() < 0.1 * width) continue;
        auto* f = new Straight{{}, edge_sigma / half};
        for (const auto& p : e) f->points.push_back((p - Vec2(width / 2.0, height / 2.0)) / half);
        auto* cost = new ceres::DynamicAutoDiffCostFunction<Straight, 4>(f);
        cost->AddParameterBlock(1);
        cost->SetNumResiduals(static_cast<int>(e.size()));
        problem.AddResidualBlock(cost, nullptr, &k);
        ++used;
    }
    if (used == 0) return std::nullopt;
    problem.AddResidualBlock(new ceres::AutoDiffCostFunction<UsualLens, 1, 1>(new UsualLens), nullptr, &k);
    ceres::Solver::Summary summary;
    ceres::Solve(quiet(), &problem, &summary);
    ceres::Covariance::Options how;
    how.num_threads = 1;
    how.algorithm_type = ceres::DENSE_SVD;
    ceres::Covariance covariance(how);
    double variance = 0;
    if (!summary.IsSolutionUsable() || !covariance.Compute(Blocks{{&k, &k}}, &problem) || !covariance.GetCovarianceBlock(&k, &k, &variance))
        return std::nullopt;
    return LensBend{k, std::max(5e-4, std::sqrt(std::max(0.0, variance)))};
}

std::optional<double> floor_length(const CameraPlan& plan, const Vec2& a, const Vec2& b, int width, int height, double distortion) {
    const Camera c = camera_of(plan, width, height, distortion);
    auto at = [&](const Vec2& px) -> std::optional<Vec2> {
        const Vec2 ray = c.ray(px.x(), px.y());
        if (ray.y() > -0.02) return std::nullopt;
        const double w = plan.height_m / -ray.y();
        return Vec2(ray.x() * w, w);
    };
    const auto p = at(a), q = at(b);
    if (!p || !q) return std::nullopt;
    return (*p - *q).norm();
}

} // namespace bevel
