// What the aligner compares: courses of hands, feet, depth and weight through a clip and through a reference, how fast they move, and where
// nothing moves. Inside of core/align.
#pragma once
#include "core/align/align.h"
#include "core/signal/signal.h"
#include <Eigen/Dense>

namespace bevel::aligning {

using signal::Series;
inline constexpr double inf = 1e18;
inline constexpr double coarse = 10, fine = 25; // moments a second

/// What is compared: places of hands and feet against the hips, depth and weight, along the axes that the view shows: own sideways and
/// forward for points in metres, the picture's own horizontal for one camera. One row a moment.
inline constexpr double seen_sideways = 0.4; // sine of the azimuth
struct Axes {
    bool room = true;
    double azimuth = 0;    // one camera: where it stands; the reference is seen from there
    bool sideways = false; // one camera: some of it is seen from the side
};
Axes axes_of(const Motion& student);

/// The courses that are compared, worked out once for a clip; read at any times.
struct Features {
    Series time_s;
    std::vector<Series> columns;
    Eigen::MatrixXd at(const Series& times) const;
};

/// Postures in own axes over time, with the picture's right in own (x, z).
struct Postures {
    Series time_s;
    std::vector<Body3> own;
    std::vector<Vec2> right;
    std::vector<bool> valid;
    double stature = 1.7, hip_height = 0.9;
};
Postures postures(const Motion& m, const Axes& axes);
Postures postures(const ReferenceModel& r, const ReferenceModel::Course& course, const Axes& axes);
/// As it stands by before the first repetition.
Postures quietly(const ReferenceModel& r, const Axes& axes);

Features features(const Postures& m, const Axes& axes);
/// The courses of all parts of the body, as far as the view shows them, over stature: what halts when somebody halts.
Features all_parts(const Postures& m, const Axes& axes);

/// What turns features into standard deviations of the reference, with the student's constant difference of build taken out.
struct Standard {
    Eigen::RowVectorXd mean, sd, build;
    void reference(Eigen::MatrixXd& m) const { m = (m.rowwise() - mean).array().rowwise() / sd.array(); }
    void student(Eigen::MatrixXd& m) const { m = (m.rowwise() - (mean + build)).array().rowwise() / sd.array(); }
    /// Build is a constant difference. Hands may hang elsewhere without meaning anything: at most as far as the movement itself moves.
    /// The height of the hips (first column) is in that of a stand which may not have been one: fifteen hundredths of it more or less.
    void set_build(const Eigen::RowVectorXd& difference);
};
/// Spread over all that the form consists of. Build is what differs in quiet standing.
Standard standard(const Eigen::MatrixXd& all, const Eigen::MatrixXd& quiet, const Features& own, const Motion& student);

/// Mean squared distance of two rows.
double distance(const Eigen::MatrixXd& a, Eigen::Index i, const Eigen::MatrixXd& b, Eigen::Index j);
/// Whether the two sides look the same in this view, moment for moment.
bool alike(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b);

Series times(double from, double to, double rate);
/// How fast all that is compared moves at these times, in `sd` a second (root mean square of the columns).
Series speeds(const Features& f, const Eigen::RowVectorXd& sd, const Series& at, double cutoff_hz);

/// Stretches of a course in which nothing moves, without their first and last moments: they are states of any length, and left out of
/// what is aligned. In order of time, apart from one another.
struct Still {
    double from, to;
};
inline constexpr double still_ends_s = 0.3;  // kept at both ends
inline constexpr double still_least_s = 1.6; // what is shorter the warp takes in its stride
/// Slower than this for as long.
std::vector<Still> stills(const Series& at, const Series& speed, double slow);
/// Without the moments inside of still stretches; `t` increases.
Series moving(Series t, const std::vector<Still>& all);
/// Time of [from, to] in which something moves.
double moving_time(double from, double to, const std::vector<Still>& all);

} // namespace bevel::aligning
