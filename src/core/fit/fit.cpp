#include "core/fit/fit.h"
#include "core/body/dims.h"
#include "core/fit/glimpse.h"
#include "core/fit/residuals.h"
#include "core/fit/skeleton.h"
#include "core/fit/spread.h"
#include "core/fit/stretches.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Dense>
#include <numbers>

namespace bevel {
namespace {

using namespace fit;
using signal::Series;

constexpr double noise_together_s = 0.3; // errors of points stay alike for about so long
constexpr double leans_s = 2;            // and how somebody stands over their feet

/// What all moments share.
struct Common {
    std::vector<std::array<double, camera_size>> cameras;
    std::vector<std::array<double, 2 * point_count>> offsets; // of the person, in sigmas
    std::vector<std::array<double, 1>> late;
    std::vector<double> lengths;
    double stature = 1.7;
    std::vector<double> time_s; // the moments they were told from, and the body then
    std::vector<Body3> body;
    Eigen::MatrixXd covariance; // of them, in the order of Fit::in_order
    Eigen::MatrixXd parts;      // a column each: their independent changes of one sigma, what moves the body least first
};

/// Cameras and lengths are told from moments so far apart that their errors are their own; the movement then from all moments, with these
/// held: moments that repeat each other would make a lens out of an error that comes with a posture.
enum class Stage { common, movement };

/// One least-squares problem over some moments.
class Fit {
public:
    Fit(std::span<const FitShot> shots, const FitOptions& o, Stage stage, Common& common, double from_s, double to_s)
        : shots_(shots), o_(o), stage_(stage), common_(common), from_s_(from_s), to_s_(to_s),
          step_s_(stage == Stage::common ? std::max(apart_s, (to_s - from_s) / most_apart) : o.step_s) {}

    /// The movement of this stretch, with what the moments far apart say of the errors that all share.
    Result<FittedBody> movement(const std::stop_token& stop) {
        if (auto ok = solve(stop); !ok) return tl::unexpected(ok.error());
        FittedBody out;
        out.rounds = rounds_;
        out.misfit = misfit(0, time_.size());
        out.worst = worst_misfit();
        const auto spread = spread_now();
        if (!spread) return fail(Code::cannot_judge, "apart");
        for (const auto& block : spread->own) {
            out.own.emplace_back();
            for (std::size_t p = 0; p < point_count; ++p)
                out.own.back()[p] = block.block<3, 3>(static_cast<Eigen::Index>(3 * p), static_cast<Eigen::Index>(3 * p)).cast<float>();
        }
        share(spread->moves, out);
        const auto& v = common_.covariance;
        const auto late = static_cast<Eigen::Index>(common_.cameras.size()) * camera_size;
        if (shots_.size() > 1) out.offset_sigma_s = std::sqrt(v(late + 1, late + 1));
        const auto tall = late + static_cast<Eigen::Index>(shots_.size());
        out.stature_sigma_m = std::sqrt(v(tall, tall));
        fill(out);
        return out;
    }

    /// Cameras and lengths, with their covariance.
    Result<bool> common(const std::stop_token& stop) {
        if (auto ok = solve(stop); !ok) return ok;
        const auto spread = spread_now();
        if (!spread) return fail(Code::cannot_judge, "apart");
        common_.time_s = time_;
        common_.body.clear();
        for (std::size_t k = 0; k < time_.size(); ++k) common_.body.push_back(body_at(k));
        common_.covariance = spread->shared;
        const Eigen::MatrixXd root = Eigen::LLT<Eigen::MatrixXd>(spread->shared).matrixL(), all = spread->moves * root;
        const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> turned(all.transpose() * all);
        common_.parts = root * turned.eigenvectors();
        return true;
    }

    FitCost cost() const { return {cost_ / static_cast<double>(std::max<std::size_t>(1, time_.size())), time_.size()}; }

private:
    static constexpr double apart_s = 0.7, most_apart = 60; // s; moments

    Result<bool> solve(const std::stop_token& stop) {
        if (!lay_out()) return fail(Code::cannot_judge, "no_body");
        if (common_.cameras.empty()) place_cameras();
        stage_ == Stage::common ? guess() : cross_sights();
        build();
        ceres::Solver::Options how;
        how.linear_solver_type = ceres::SPARSE_NORMAL_CHOLESKY;
        how.logging_type = ceres::SILENT;
        how.linear_solver_ordering = moments_first();
        how.num_threads = 2;
        how.max_num_iterations = o_.most_rounds;
        how.function_tolerance = stage_ == Stage::common ? 1e-5 : 1e-4;
        struct Stop : ceres::IterationCallback {
            std::stop_token token;
            ceres::CallbackReturnType operator()(const ceres::IterationSummary&) override {
                return token.stop_requested() ? ceres::SOLVER_ABORT : ceres::SOLVER_CONTINUE;
            }
        } watch;
        watch.token = stop;
        how.callbacks.push_back(&watch);
        ceres::Solver::Summary summary;
        ceres::Solve(how, problem_.get(), &summary);
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        if (!summary.IsSolutionUsable()) return fail(Code::cannot_judge, "apart");
        rounds_ = static_cast<int>(summary.iterations.size());
        cost_ = summary.final_cost;
        return true;
    }

    /// The order of elimination: what all moments share is tied to all of them, and goes last.
    std::shared_ptr<ceres::ParameterBlockOrdering> moments_first() {
        auto order = std::make_shared<ceres::ParameterBlockOrdering>();
        std::vector<bool> person;
        const auto all = in_order(person);
        for (std::size_t k = 0; k < all.size(); ++k) order->AddElementToGroup(all[k], k < time_.size() * point_count ? 0 : 1);
        return order;
    }

    double* point(std::size_t moment, std::size_t p) { return &points_[(moment * point_count + p) * 3]; }

    Body3 body_at(std::size_t moment) {
        Body3 b;
        for (std::size_t p = 0; p < point_count; ++p) b[p] = Eigen::Map<const Vec3>(point(moment, p));
        return b;
    }

    /// The moments on which every shot shows somebody, on a common step.
    bool lay_out() {
        std::size_t seen = 0;
        for (double t = from_s_; t <= to_s_; t += step_s_) {
            time_.push_back(t);
            glimpses_.emplace_back();
            bool all = true;
            for (const auto& s : shots_) {
                glimpses_.back().push_back(Glimpses(s).at(t));
                all = all && glimpses_.back().back();
            }
            seen += all ? 1 : 0;
            const auto& now = glimpses_.back();
            if (stage_ == Stage::common && std::none_of(now.begin(), now.end(), [](const auto& g) { return g.has_value(); }))
                time_.pop_back(), glimpses_.pop_back(); // nothing ties these to the others
        }
        return seen >= (stage_ == Stage::common ? 6 : 20);
    }

    void place_cameras() {
        for (const auto& s : shots_) {
            const Camera& c = *s.motion.camera;
            const double yaw = s.motion.start_azimuth + std::numbers::pi; // of the room of its own motion
            common_.cameras.push_back({0, c.pitch.value, c.roll.value, s.motion.camera_at.y(), s.motion.camera_at.x(),
                                       s.motion.camera_at.z(), yaw, c.distortion.value});
            common_.offsets.emplace_back();
            common_.offsets.back().fill(0);
            common_.late.push_back({0});
        }
        for (std::size_t s = 1; s < shots_.size(); ++s) meet(s);
        common_.stature = o_.stature_m;
        for (const auto& l : lengths()) common_.lengths.push_back(l.share * common_.stature);
    }

    std::size_t frame_of(const FitShot& s, double time_s) const {
        const auto& t = s.motion.time_s;
        const auto i = static_cast<std::size_t>(std::lower_bound(t.begin(), t.end(), time_s - s.offset_s) - t.begin());
        return std::min(i, t.size() - 1);
    }

    /// The room of another shot was laid by the way the student faced when that clip began: turned and moved on the first one's, by what
    /// both show on the same moments (level, least squares over points near the trunk and feet).
    void meet(std::size_t s) {
        const FitShot &a = shots_[0], &b = shots_[s];
        Vec2 ma(0, 0), mb(0, 0);
        std::vector<std::pair<Vec2, Vec2>> both;
        double turn_c = 0, turn_s = 0;
        for (std::size_t k = 0; k < time_.size(); ++k) {
            const auto i = frame_of(a, time_[k]), j = frame_of(b, time_[k]);
            if (!a.motion.valid[i] || !b.motion.valid[j]) continue;
            const double turn = a.motion.facing[i] - b.motion.facing[j];
            turn_c += std::cos(turn), turn_s += std::sin(turn);
            const Vec3 p = mid(a.motion.m[i], left_hip), q = mid(b.motion.m[j], left_hip);
            both.emplace_back(Vec2(p.x(), p.z()), Vec2(q.x(), q.z()));
        }
        if (both.empty()) return;
        const double turn = std::atan2(turn_s, turn_c), c = std::cos(turn), sn = std::sin(turn);
        for (const auto& [p, q] : both) ma += p / static_cast<double>(both.size()), mb += q / static_cast<double>(both.size());
        const auto turned = [&](const Vec2& v) { return Vec2(v.x() * c + v.y() * sn, -v.x() * sn + v.y() * c); };
        const Vec2 move = ma - turned(mb), at = turned(Vec2(common_.cameras[s][4], common_.cameras[s][5])) + move;
        common_.cameras[s][4] = at.x(), common_.cameras[s][5] = at.y(), common_.cameras[s][6] += turn;
        into_room_.resize(shots_.size());
        into_room_[s] = {turn, move};
    }

    Vec3 in_room(std::size_t s, const Vec3& v) const {
        if (s == 0 || s >= into_room_.size()) return v;
        const auto& [turn, move] = into_room_[s];
        const double c = std::cos(turn), sn = std::sin(turn);
        return {v.x() * c + v.z() * sn + move.x(), v.y(), -v.x() * sn + v.z() * c + move.y()};
    }

    /// Where to begin: each camera's own guess, weighed by what it can tell: little along its lines of sight.
    void guess() {
        points_.assign(time_.size() * point_count * 3, 0);
        std::vector<bool> known(time_.size(), false);
        for (std::size_t k = 0; k < time_.size(); ++k) {
            std::array<Eigen::Matrix3d, point_count> weight;
            std::array<Vec3, point_count> sum;
            weight.fill(Eigen::Matrix3d::Identity() * 1e-3);
            sum.fill(Vec3::Zero());
            for (std::size_t s = 0; s < shots_.size(); ++s) {
                const auto i = frame_of(shots_[s], time_[k]);
                if (!glimpses_[k][s] || !shots_[s].motion.valid[i]) continue;
                known[k] = true;
                const Vec3 camera(common_.cameras[s][4], common_.cameras[s][3], common_.cameras[s][5]);
                for (std::size_t p = 0; p < point_count; ++p) {
                    const Vec3 at = in_room(s, shots_[s].motion.m[i][p]), sight = (at - camera).normalized();
                    const auto& sg = shots_[s].motion.sigma[i][p];
                    const double across = std::hypot(0.03, sg.across), depth = 2 * std::hypot(0.1, sg.depth);
                    const Eigen::Matrix3d w = Eigen::Matrix3d::Identity() / (across * across) +
                                              sight * sight.transpose() * (1 / (depth * depth) - 1 / (across * across));
                    weight[p] += w, sum[p] += w * at;
                }
            }
            for (std::size_t p = 0; p < point_count; ++p) {
                const Vec3 at = weight[p].ldlt().solve(sum[p]);
                std::copy_n(at.data(), 3, point(k, p));
            }
        }
        for (std::size_t k = 0; k < time_.size(); ++k) { // gaps: the nearest that is known
            if (known[k]) continue;
            for (std::size_t d = 1; d < time_.size(); ++d) {
                const auto n = k >= d && known[k - d] ? k - d : k + d < time_.size() && known[k + d] ? k + d : k;
                if (n == k) continue;
                std::copy_n(point(n, 0), point_count * 3, point(k, 0));
                break;
            }
        }
    }

    /// Where to begin once the cameras are placed: where their lines of sight meet, near the body of the moments about it.
    void cross_sights() {
        points_.assign(time_.size() * point_count * 3, 0);
        for (std::size_t k = 0; k < time_.size(); ++k) {
            const auto next = std::lower_bound(common_.time_s.begin(), common_.time_s.end(), time_[k]);
            const auto j = static_cast<std::size_t>(next - common_.time_s.begin());
            const Body3 &b = common_.body[std::min(j, common_.body.size() - 1)], &a = j > 0 ? common_.body[j - 1] : b;
            const double u =
                j > 0 && j < common_.time_s.size() ? (time_[k] - common_.time_s[j - 1]) / (common_.time_s[j] - common_.time_s[j - 1]) : 1;
            for (std::size_t p = 0; p < point_count; ++p) {
                const Vec3 near = a[p] + u * (b[p] - a[p]);
                constexpr double wander_m = 0.3, sight_m = 0.03;
                Eigen::Matrix3d weight = Eigen::Matrix3d::Identity() / (wander_m * wander_m);
                Vec3 sum = weight * near;
                for (std::size_t s = 0; s < shots_.size(); ++s) {
                    if (!glimpses_[k][s]) continue;
                    const PlacedCamera camera = placed(s);
                    const auto& q = glimpses_[k][s]->px[p];
                    const Vec3 sight = camera.sight(q.x, q.y);
                    const Eigen::Matrix3d across = (Eigen::Matrix3d::Identity() - sight * sight.transpose()) / (sight_m * sight_m);
                    weight += across, sum += across * camera.at;
                }
                const Vec3 at = weight.ldlt().solve(sum);
                std::copy_n(at.data(), 3, point(k, p));
            }
        }
    }

    void build() {
        problem_ = std::make_unique<ceres::Problem>();
        for (std::size_t k = 0; k < time_.size(); ++k) {
            for (std::size_t s = 0; s < shots_.size(); ++s)
                if (glimpses_[k][s]) see(k, s);
            if (shots_.size() == 1) hint(k);
            hold_together(k);
            balance(k);
            if (stage_ == Stage::movement) move_on(k);
        }
        know_cameras();
        for (std::size_t l = 0; l < common_.lengths.size(); ++l)
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<OfHeight, 1, 1, 1>(
                                           new OfHeight{lengths()[l].share, lengths()[l].share * lengths()[l].spread * o_.stature_m}),
                                       nullptr, &common_.lengths[l], &common_.stature);
        about<1>(&common_.stature, {o_.stature_m}, {o_.stature_sigma_m});
        if (stage_ == Stage::movement) hold_common(true);
    }

    void hold_common(bool hold) {
        std::vector<bool> person;
        const auto order = in_order(person);
        for (std::size_t k = time_.size() * point_count; k < order.size(); ++k)
            hold ? problem_->SetParameterBlockConstant(order[k]) : problem_->SetParameterBlockVariable(order[k]);
    }

    void see(std::size_t k, std::size_t s) {
        const Camera& c = *shots_[s].motion.camera;
        // Moments nearer to each other than errors last tell less than as many apart. What stays with the person changes with the posture
        // by as much again.
        const double repeats = std::sqrt(1 + 2 * noise_together_s / step_s_);
        for (std::size_t p = 0; p < point_count; ++p) {
            const PicturePoint& q = glimpses_[k][s]->px[p];
            Seen seen;
            seen.seen = Vec2(q.x - c.cx, q.y - c.cy);
            seen.speed = glimpses_[k][s]->speed[p];
            const double up = q.sigma_up > 0 ? q.sigma_up : q.sigma, bias_up = q.bias_up > 0 ? q.bias_up : q.bias;
            seen.sigma = repeats * Vec2(std::max(0.3, q.sigma), std::max(0.3, up));
            seen.sigma = Vec2(std::hypot(seen.sigma.x(), q.bias), std::hypot(seen.sigma.y(), bias_up));
            seen.bias = Vec2(std::max(1e-3, q.bias), std::max(1e-3, bias_up));
            seen.focal = c.focal.value;
            seen.half2 = c.cx * c.cx + c.cy * c.cy;
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<Seen, 2, camera_size, 3, 2, 1>(new Seen(seen)),
                                       new ceres::CauchyLoss(2.5), common_.cameras[s].data(), point(k, p), &common_.offsets[s][2 * p],
                                       common_.late[s].data());
        }
    }

    /// One camera alone: no picture tells the depth of a point. What its own motion makes of it, from the feet on the floor and the body
    /// upright over them, is a weak hint, and joints bend the ways they can.
    void hint(std::size_t k) {
        const Motion& alone = shots_[0].motion;
        const auto i = frame_of(shots_[0], time_[k]);
        if (!alone.valid[i]) return;
        constexpr double depth_m = 0.15;
        const double repeats = std::sqrt(1 + 2 * noise_together_s / step_s_);
        const Vec3 camera = placed(0).at;
        for (std::size_t p = 0; p < point_count; ++p) {
            const Vec3 at = alone.m[i][p];
            problem_->AddResidualBlock(
                new ceres::AutoDiffCostFunction<Along, 1, 3>(new Along{at, (at - camera).normalized(), repeats * depth_m}),
                new ceres::SoftLOneLoss(1.5), point(k, p));
        }
        for (const Side s : {Side::left, Side::right}) {
            const auto at = [&](Point left) { return point(k, index_of(on(s, left))); };
            problem_->AddResidualBlock(
                new ceres::AutoDiffCostFunction<KneeBends, 1, 3, 3, 3, 3, 3>(new KneeBends{0.152 * o_.stature_m, 0.02}), nullptr,
                at(left_hip), at(left_knee), at(left_ankle), at(left_heel), at(left_toe));
            problem_->AddResidualBlock(
                new ceres::AutoDiffCostFunction<ElbowPoints, 1, 3, 3, 3, 3>(new ElbowPoints{s == Side::left ? 1.0 : -1.0, 0.03}), nullptr,
                at(left_shoulder), at(left_elbow), at(left_wrist), point(k, index_of(on(other(s), left_shoulder))));
        }
    }

    void hold_together(std::size_t k) {
        for (const auto& b : bones())
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<Keeps, 1, 3, 3, 1>(new Keeps{b.give_m}), nullptr,
                                       point(k, index_of(b.a)), point(k, index_of(b.b)),
                                       &common_.lengths[static_cast<std::size_t>(b.length)]);
        for (const auto& b : spans())
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<KeepsBetween, 1, 3, 3, 3, 3, 1>(new KeepsBetween{b.give_m}), nullptr,
                                       point(k, index_of(b.a)), point(k, index_of(mirrored(b.a))), point(k, index_of(b.b)),
                                       point(k, index_of(mirrored(b.b))), &common_.lengths[static_cast<std::size_t>(b.length)]);
        // How a sole lies stays as it is over moments near to each other, as the errors of points do.
        constexpr double sole_m = 0.012;
        const double repeats = std::sqrt(1 + 2 * noise_together_s / step_s_);
        for (const Point p : {left_heel, left_toe, right_heel, right_toe}) {
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<OnFloor, 1, 3>(new OnFloor{sole_m * repeats}),
                                       new ceres::CauchyLoss(1), point(k, index_of(p)));
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<NotUnderFloor, 1, 3>(new NotUnderFloor{sole_m}), nullptr,
                                       point(k, index_of(p)));
        }
    }

    /// Over the feet, along the line between them anywhere, across it by what a foot is long.
    void balance(std::size_t k) {
        static const auto centre = centre_weights(SegmentTable::of(Sex::mean));
        auto share = centre;
        for (const Side s : {Side::left, Side::right}) // foot_centre: 36 % of the way from heel to toe
            share[index_of(on(s, left_heel))] -= 0.5 * 0.64, share[index_of(on(s, left_toe))] -= 0.5 * 0.36;
        const auto at = [&](Point p) { return Vec2(point(k, index_of(p))[0], point(k, index_of(p))[2]); };
        const Vec2 apart = 0.5 * (at(left_ankle) - at(right_ankle));
        const Eigen::Matrix2d v = 0.06 * 0.06 * Eigen::Matrix2d::Identity() + apart * apart.transpose() / 3;
        const Eigen::Matrix2d root = Eigen::LLT<Eigen::Matrix2d>(v.inverse()).matrixU();
        std::vector<double*> all;
        for (std::size_t p = 0; p < point_count; ++p) all.push_back(point(k, p));
        problem_->AddResidualBlock(new OverFeet(share, root / std::sqrt(1 + 2 * leans_s / step_s_)), new ceres::CauchyLoss(2), all);
    }

    void move_on(std::size_t k) {
        if (k + 1 < time_.size())
            for (const Point p : {left_heel, left_toe, right_heel, right_toe})
                problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<Stays, 3, 3, 3>(new Stays{0.003}), new ceres::CauchyLoss(1.5),
                                           point(k, index_of(p)), point(k + 1, index_of(p)));
        if (k == 0 || k + 1 >= time_.size()) return;
        for (std::size_t p = 0; p < point_count; ++p)
            problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<Smooth, 3, 3, 3, 3>(
                                           new Smooth{usual_acceleration(static_cast<Point>(p)) * step_s_ * step_s_}),
                                       nullptr, point(k - 1, p), point(k, p), point(k + 1, p));
    }

    template <int n> void about(double* at, const std::array<double, n>& value, const std::array<double, n>& sigma) {
        problem_->AddResidualBlock(new ceres::AutoDiffCostFunction<About<n>, n, n>(new About<n>{value, sigma}), nullptr, at);
    }

    void know_cameras() {
        for (std::size_t s = 0; s < shots_.size(); ++s) {
            const Camera& c = *shots_[s].motion.camera;
            const auto& at = common_.cameras[s];
            // The first camera's place and way are the room; its height, and all of the others, the body and its feet tell.
            const double place = s == 0 ? 1e-3 : 2, yaw = s == 0 ? 1e-3 : 1;
            about<camera_size>(common_.cameras[s].data(), {0, c.pitch.value, c.roll.value, at[3], at[4], at[5], at[6], c.distortion.value},
                               {c.focal.sigma, c.pitch.sigma, c.roll.sigma, 0.4, place, place, yaw, std::max(1e-4, c.distortion.sigma)});
            for (std::size_t p = 0; p < point_count; ++p) about<2>(&common_.offsets[s][2 * p], {0, 0}, {1, 1});
            about<1>(common_.late[s].data(), {0}, {s == 0 ? 1e-4 : std::max(0.003, shots_[s].offset_sigma_s)});
        }
    }

    /// In the sigmas of a moment alone, of the moments from one to another.
    double misfit(std::size_t from, std::size_t to) {
        Series all;
        for (std::size_t k = from; k < to; ++k)
            for (std::size_t s = 0; s < shots_.size(); ++s) {
                if (!glimpses_[k][s]) continue;
                const PlacedCamera camera = placed(s);
                for (std::size_t p = 0; p < point_count; ++p) {
                    const double* at = point(k, p);
                    const PicturePoint& q = glimpses_[k][s]->px[p];
                    const Vec2 d = camera.pixel(Vec3(at[0], at[1], at[2])) - Vec2(q.x, q.y);
                    all.push_back(d.norm() / std::hypot(std::max(0.3, q.sigma), q.bias));
                }
            }
        return all.empty() ? 0 : signal::median(all);
    }

    /// A stretch in which nothing fits is not to be hidden by all the others.
    double worst_misfit() {
        constexpr double stretch_s = 5;
        const auto each = std::max<std::size_t>(1, static_cast<std::size_t>(stretch_s / step_s_));
        double worst = 0;
        for (std::size_t k = 0; k < time_.size(); k += each) // the last with what is left over
            worst = std::max(worst, misfit(k, time_.size() - k < 2 * each ? time_.size() : k + each));
        return worst;
    }

    PlacedCamera placed(std::size_t s) const {
        PlacedCamera p;
        const auto& v = common_.cameras[s];
        p.camera = *shots_[s].motion.camera;
        p.camera.focal.value *= std::exp(v[0]);
        p.camera.pitch.value = v[1], p.camera.roll.value = v[2], p.camera.distortion.value = v[7];
        p.camera.height.value = v[3];
        p.camera.settle();
        p.at = Vec3(v[4], v[3], v[5]);
        p.yaw = v[6];
        return p;
    }

    /// Unknowns in order: the moments, then what all share. Tells which of the shared are the person's.
    std::vector<double*> in_order(std::vector<bool>& person) {
        std::vector<double*> order;
        for (std::size_t k = 0; k < time_.size(); ++k)
            for (std::size_t p = 0; p < point_count; ++p) order.push_back(point(k, p));
        const auto shared = [&](double* at, int size, bool of_person) {
            order.push_back(at);
            person.insert(person.end(), static_cast<std::size_t>(size), of_person);
        };
        for (auto& c : common_.cameras) shared(c.data(), camera_size, false);
        for (auto& l : common_.late) shared(l.data(), 1, false);
        shared(&common_.stature, 1, true);
        for (auto& l : common_.lengths) shared(&l, 1, true);
        for (auto& o : common_.offsets)
            for (std::size_t p = 0; p < point_count; ++p) shared(&o[2 * p], 2, true);
        return order;
    }

    std::optional<Spread> spread_now() {
        if (stage_ == Stage::movement) hold_common(false);
        std::vector<bool> person;
        ceres::Problem::EvaluateOptions how;
        how.parameter_blocks = in_order(person);
        how.num_threads = 2;
        ceres::CRSMatrix rows;
        problem_->Evaluate(how, nullptr, nullptr, nullptr, &rows);
        const Eigen::Map<const Eigen::SparseMatrix<double, Eigen::RowMajor>> jacobian(
            rows.num_rows, rows.num_cols, static_cast<Eigen::Index>(rows.values.size()), rows.rows.data(), rows.cols.data(),
            rows.values.data());
        return spread_of(jacobian, time_.size(), point_count * 3);
    }

    /// What moves all moments together, by its largest independent parts; what these leave is added to each moment's own.
    void share(const Eigen::MatrixXd& moves, FittedBody& out) {
        std::vector<bool> person;
        in_order(person);
        const auto n = common_.parts.cols(), most = std::min<Eigen::Index>(fit_factors, n);
        const Eigen::MatrixXd turned = moves * common_.parts;
        const auto at = [](std::size_t k, std::size_t p) { return static_cast<Eigen::Index>((k * point_count + p) * 3); };
        for (Eigen::Index f = n - most; f < n; ++f) {
            FitFactor factor;
            double of_person = 0, of_clip = 0; // in the sigmas the unknowns have by now
            for (Eigen::Index g = 0; g < n; ++g)
                (person[static_cast<std::size_t>(g)] ? of_person : of_clip) += std::pow(common_.parts(g, f), 2) / common_.covariance(g, g);
            factor.person = of_person > of_clip;
            for (std::size_t k = 0; k < time_.size(); ++k) {
                factor.moved.emplace_back();
                for (std::size_t p = 0; p < point_count; ++p) factor.moved.back()[p] = turned.block<3, 1>(at(k, p), f);
            }
            out.factors.push_back(std::move(factor));
        }
        for (std::size_t k = 0; k < time_.size(); ++k)
            for (std::size_t p = 0; p < point_count; ++p) {
                const auto small = turned.block(at(k, p), 0, 3, n - most);
                out.own[k][p] += (small * small.transpose()).cast<float>();
            }
    }

    void fill(FittedBody& out) {
        out.time_s = time_;
        for (std::size_t k = 0; k < time_.size(); ++k) out.m.push_back(body_at(k));
        for (std::size_t s = 0; s < shots_.size(); ++s) out.cameras.push_back(placed(s));
        if (shots_.size() > 1) out.offset_s = shots_[1].offset_s - common_.late[1][0];
        out.stature_m = common_.stature;
    }

    std::span<const FitShot> shots_;
    FitOptions o_;
    Stage stage_;
    Common& common_;
    double from_s_, to_s_, step_s_;
    int rounds_ = 0;
    double cost_ = 0;
    std::vector<double> time_;
    std::vector<std::vector<std::optional<Glimpse>>> glimpses_; // by moment, by shot
    std::vector<double> points_;
    std::vector<std::pair<double, Vec2>> into_room_;
    std::unique_ptr<ceres::Problem> problem_;
};

Result<bool> can_fit(std::span<const FitShot> shots) {
    if (shots.empty()) return fail(Code::cannot_judge, "no_body");
    for (const auto& s : shots)
        if (!s.motion.camera) return fail(Code::cannot_judge, "view_needed");
    return true;
}

} // namespace

Vec2 PlacedCamera::pixel(const Vec3& room) const {
    const double c = std::cos(yaw), s = std::sin(yaw);
    const Vec3 d = room - at;
    return camera.project(Vec3(-c * d.x() + s * d.z(), d.y(), s * d.x() + c * d.z()));
}

Vec3 PlacedCamera::sight(double x, double y) const {
    const Vec2 r = camera.ray(x, y);
    const double c = std::cos(yaw), s = std::sin(yaw);
    return Vec3(-c * r.x() + s, r.y(), s * r.x() + c).normalized();
}

Result<FitCost> fit_cost(std::span<const FitShot> shots, const FitOptions& options, std::stop_token stop) {
    if (auto ok = can_fit(shots); !ok) return tl::unexpected(ok.error());
    const auto [from, to] = in_common(shots);
    Common common;
    Fit fit(shots, options, Stage::common, common, from, to);
    if (const auto ok = fit.common(stop); !ok) return tl::unexpected(ok.error());
    return fit.cost();
}

Result<FittedBody> fit_body(std::span<const FitShot> shots, const FitOptions& options, std::stop_token stop) {
    if (auto ok = can_fit(shots); !ok) return tl::unexpected(ok.error());
    Common common;
    {
        const auto [from, to] = in_common(shots);
        if (const auto ok = Fit(shots, options, Stage::common, common, from, to).common(stop); !ok) return tl::unexpected(ok.error());
    }
    const auto [from, to] = stretch_of(shots);
    FittedBody whole;
    const auto windows = std::max(1.0, std::ceil((to - from - overlap_s) / window_s));
    const double each = (to - from - overlap_s) / windows;
    for (double w = 0; w < windows; ++w) {
        // Stretches begin on a moment of the common step, so that their moments meet where they overlap.
        const double begin = from + std::round(w * each / options.step_s) * options.step_s;
        auto part = Fit(shots, options, Stage::movement, common, begin, w + 1 < windows ? begin + each + overlap_s : to).movement(stop);
        if (!part) return tl::unexpected(part.error());
        join(whole, std::move(*part));
    }
    return whole;
}

} // namespace bevel
