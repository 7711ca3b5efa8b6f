#include "core/align/courses.h"
#include <algorithm>
#include <cmath>

namespace bevel::aligning {

Axes axes_of(const Motion& student) {
    Axes a;
    a.room = !student.from_pictures();
    if (a.room) return a;
    double c = 0, s = 0;
    for (std::size_t i = 0; i < student.frames(); ++i)
        if (student.valid[i]) c += std::cos(student.azimuth[i]), s += std::sin(student.azimuth[i]);
    a.azimuth = std::atan2(s, c);
    a.sideways = std::abs(std::sin(a.azimuth)) > seen_sideways;
    return a;
}

Eigen::MatrixXd Features::at(const Series& times) const {
    Eigen::MatrixXd out(static_cast<Eigen::Index>(times.size()), static_cast<Eigen::Index>(columns.size()));
    for (std::size_t c = 0; c < columns.size(); ++c) {
        const Series y = signal::resample(time_s, columns[c], times);
        for (std::size_t r = 0; r < times.size(); ++r) out(static_cast<Eigen::Index>(r), static_cast<Eigen::Index>(c)) = y[r];
    }
    return out;
}

namespace {
Vec2 right_from(double azimuth) {
    return {std::cos(azimuth), -std::sin(azimuth)};
}
} // namespace

Postures postures(const Motion& m, const Axes& axes) {
    Postures p{m.time_s, std::vector<Body3>(m.frames()), std::vector<Vec2>(m.frames()), m.valid, m.stature, m.neutral.hip_height};
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i]) continue;
        p.own[i] = m.own(i);
        p.right[i] = right_from(axes.room ? axes.azimuth : m.azimuth[i]);
    }
    return p;
}

Postures postures(const ReferenceModel& r, const ReferenceModel::Course& course, const Axes& axes) {
    const auto n = course.posture.size();
    Postures p{course.time_s, course.posture, std::vector<Vec2>(n, right_from(axes.azimuth)), std::vector<bool>(n, true),
               r.stature,     r.hip_height};
    for (std::size_t i = 0; i < course.seen_from.size(); ++i) p.right[i] = right_from(course.seen_from[i]);
    return p;
}

Postures quietly(const ReferenceModel& r, const Axes& axes) {
    return {{0}, {r.quiet}, {right_from(axes.azimuth)}, {true}, r.stature, r.hip_height};
}

Features features(const Postures& m, const Axes& axes) {
    Features found{m.time_s, {}};
    const auto n = m.own.size();
    auto add = [&](auto f) {
        Series y(n, NAN);
        for (std::size_t i = 0; i < n; ++i)
            if (m.valid[i]) y[i] = f(i);
        y = signal::fill_gaps(m.time_s, y, 1e9);
        double last = 0;
        for (double& v : y) last = v = std::isfinite(v) ? v : last;
        found.columns.push_back(std::move(y));
    };
    const double h = m.stature;
    auto body = [&](std::size_t i) -> const Body3& { return m.own[i]; };
    auto across = [&](std::size_t i, const Vec3& v) { return v.x() * m.right[i].x() + v.z() * m.right[i].y(); };
    add([&](std::size_t i) { return 3.0 * mid(body(i), left_hip).y() / m.hip_height; });
    for (const Point w : {left_wrist, right_wrist}) {
        // Against the shoulders: a trunk that leans carries the hands along.
        auto hand = [&](std::size_t i) { return Vec3((body(i)[w] - mid(body(i), left_shoulder)) / h); };
        add([&](std::size_t i) { return hand(i).y(); });
        if (axes.room) {
            add([&](std::size_t i) { return hand(i).x(); });
            add([&](std::size_t i) { return hand(i).z(); });
        } else {
            add([&](std::size_t i) { return across(i, hand(i)); });
        }
    }
    for (const Point a : {left_ankle, right_ankle}) add([&](std::size_t i) { return 1.5 * body(i)[a].y() / h; });
    // The turn of the shoulders, where depth is told: movements of the waist alone have no other course.
    if (axes.room) add([&](std::size_t i) { return (body(i)[left_shoulder].z() - body(i)[right_shoulder].z()) / h; });
    auto over_feet = [&](std::size_t i) { return Vec3(2 * (mid(body(i), left_hip) - mid(body(i), left_ankle)) / h); };
    auto feet = [&](std::size_t i) { return Vec3(1.5 * (body(i)[left_ankle] - body(i)[right_ankle]) / h); };
    if (axes.room) {
        add([&](std::size_t i) { return over_feet(i).x(); });
        add([&](std::size_t i) { return feet(i).z(); });
        add([&](std::size_t i) { return over_feet(i).z(); });
    } else {
        add([&](std::size_t i) { return across(i, over_feet(i)); });
        if (axes.sideways) add([&](std::size_t i) { return across(i, feet(i)); });
    }
    return found;
}

Features all_parts(const Postures& m, const Axes& axes) {
    Features found{m.time_s, {}};
    auto add = [&](auto f) {
        Series y(m.own.size(), NAN);
        for (std::size_t i = 0; i < m.own.size(); ++i)
            if (m.valid[i]) y[i] = f(i) / m.stature;
        found.columns.push_back(signal::fill_gaps(m.time_s, y, 1e9));
    };
    for (const Point left : {left_ear, left_shoulder, left_elbow, left_wrist, left_index, left_hip, left_knee, left_ankle, left_toe})
        for (const Point p : {left, mirrored(left)}) {
            add([&, p](std::size_t i) { return m.own[i][p].y(); });
            if (axes.room) {
                add([&, p](std::size_t i) { return m.own[i][p].x(); });
                add([&, p](std::size_t i) { return m.own[i][p].z(); });
            } else {
                add([&, p](std::size_t i) { return m.own[i][p].x() * m.right[i].x() + m.own[i][p].z() * m.right[i].y(); });
            }
        }
    return found;
}

void Standard::set_build(const Eigen::RowVectorXd& difference) {
    Eigen::RowVectorXd most = sd;
    most[0] = std::max(most[0], 0.45);
    build = difference.cwiseMin(most).cwiseMax(-most);
}

Standard standard(const Eigen::MatrixXd& all, const Eigen::MatrixXd& quiet, const Features& own, const Motion& student) {
    Standard s;
    s.mean = all.colwise().mean();
    s.sd = ((all.rowwise() - s.mean).array().square().colwise().mean().sqrt()).max(0.08); // what hardly moves tells little
    s.build = Eigen::RowVectorXd::Zero(all.cols());
    const Neutral& n = student.neutral;
    if (n.source == NeutralSource::quiet_second && n.to_s > n.from_s) {
        Series t;
        for (double at = n.from_s; at <= n.to_s; at += 0.1) t.push_back(at);
        s.set_build(own.at(t).colwise().mean() - quiet.row(0));
    }
    // On a chair the hips stay where the chair is, and a chair is as high as it is. From the front they are seen too high, being farther
    // from the camera than the feet.
    constexpr double sitting = 3 * 0.72, chairs = 3 * 0.15;
    if (s.mean[0] < sitting) s.build[0] = std::clamp(signal::median(own.columns.front()) - s.mean[0], -chairs, chairs);
    return s;
}

double distance(const Eigen::MatrixXd& a, Eigen::Index i, const Eigen::MatrixXd& b, Eigen::Index j) {
    return (a.row(i) - b.row(j)).squaredNorm() / static_cast<double>(a.cols());
}

bool alike(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b) {
    const auto n = std::min(a.rows(), b.rows());
    double sum = 0;
    for (Eigen::Index k = 0; k < n; ++k) sum += distance(a, k, b, k);
    return sum < 0.15 * static_cast<double>(n);
}

Series times(double from, double to, double rate) {
    Series t;
    for (double x = from; x <= to + 1e-9; x += 1 / rate) t.push_back(x);
    return t;
}

Series speeds(const Features& f, const Eigen::RowVectorXd& sd, const Series& at, double cutoff_hz) {
    Series square(at.size(), 0);
    for (std::size_t c = 0; c < f.columns.size(); ++c) {
        const Series y = f.time_s.size() > 3 ? signal::low_pass(f.time_s, f.columns[c], cutoff_hz) : f.columns[c];
        const Series v = signal::resample(f.time_s, signal::derivative(f.time_s, y), at);
        for (std::size_t k = 0; k < at.size(); ++k) {
            const double x = v[k] / sd[static_cast<Eigen::Index>(c)];
            square[k] += x * x;
        }
    }
    for (double& x : square) x = std::isfinite(x) ? std::sqrt(x / static_cast<double>(f.columns.size())) : 0;
    return square;
}

std::vector<Still> stills(const Series& at, const Series& speed, double slow) {
    std::vector<Still> out;
    for (std::size_t k = 0; k < at.size(); ++k) {
        if (speed[k] >= slow) continue;
        std::size_t e = k;
        while (e + 1 < at.size() && speed[e + 1] < slow) ++e;
        if (at[e] - at[k] > still_least_s) out.push_back({at[k] + still_ends_s, at[e] - still_ends_s});
        k = e;
    }
    return out;
}

Series moving(Series t, const std::vector<Still>& all) {
    auto next = all.begin();
    std::erase_if(t, [&](double x) {
        while (next != all.end() && next->to <= x) ++next;
        return next != all.end() && x > next->from;
    });
    return t;
}

double moving_time(double from, double to, const std::vector<Still>& all) {
    double t = to - from;
    for (const auto& s : all) t -= std::max(0.0, std::min(to, s.to) - std::max(from, s.from));
    return t;
}

} // namespace bevel::aligning
