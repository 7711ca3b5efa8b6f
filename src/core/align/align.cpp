#include "core/align/align.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr double inf = 1e18;

Vec3 mid(const Body3& b, Point l) { return 0.5 * (b[l] + b[static_cast<std::size_t>(mirrored(l))]); }

/// What is compared: places of hands and feet against the hips, depth and weight, as far as the view shows them. One row a moment.
Eigen::MatrixXd features(const Motion& m, bool use_x, bool use_z, const Series& times) {
    std::vector<Series> columns;
    const auto n = m.frames();
    auto add = [&](auto f) {
        Series y(n, NAN);
        for (std::size_t i = 0; i < n; ++i)
            if (m.valid[i]) y[i] = f(i);
        y = signal::fill_gaps(m.time_s, y, 1e9);
        double last = 0;
        for (double& v : y) last = v = std::isfinite(v) ? v : last;
        columns.push_back(signal::resample(m.time_s, y, times));
    };
    const double h = m.stature;
    auto body = [&](std::size_t i) -> const Body3& { return m.m[i]; };
    add([&](std::size_t i) { return 3.0 * mid(body(i), left_hip).y() / m.neutral.hip_height; });
    for (const Point w : {left_wrist, right_wrist}) {
        add([&](std::size_t i) { return (body(i)[w].y() - mid(body(i), left_hip).y()) / h; });
        if (use_x) add([&](std::size_t i) { return (body(i)[w].x() - mid(body(i), left_hip).x()) / h; });
        if (use_z) add([&](std::size_t i) { return (body(i)[w].z() - mid(body(i), left_hip).z()) / h; });
    }
    for (const Point a : {left_ankle, right_ankle}) add([&](std::size_t i) { return 1.5 * body(i)[a].y() / h; });
    const auto lateral = use_x ? 0 : 2;
    auto over_feet = [&](std::size_t i, Eigen::Index axis) { return 2 * (mid(body(i), left_hip)[axis] - mid(body(i), left_ankle)[axis]) / h; };
    add([&](std::size_t i) { return over_feet(i, lateral); });
    if (use_z) {
        add([&](std::size_t i) { return 1.5 * (body(i)[left_ankle].z() - body(i)[right_ankle].z()) / h; });
        if (use_x) add([&](std::size_t i) { return over_feet(i, 2); });
    }
    Eigen::MatrixXd out(static_cast<Eigen::Index>(times.size()), static_cast<Eigen::Index>(columns.size()));
    for (std::size_t c = 0; c < columns.size(); ++c)
        for (std::size_t r = 0; r < times.size(); ++r) out(static_cast<Eigen::Index>(r), static_cast<Eigen::Index>(c)) = columns[c][r];
    return out;
}

/// Both matrices in standard deviations of the reference.
void standardise(Eigen::MatrixXd& reference, Eigen::MatrixXd& student) {
    for (Eigen::Index c = 0; c < reference.cols(); ++c) {
        const double mean = reference.col(c).mean();
        const double sd = std::max(0.03, std::sqrt((reference.col(c).array() - mean).square().mean()));
        reference.col(c) = (reference.col(c).array() - mean) / sd;
        student.col(c) = (student.col(c).array() - mean) / sd;
    }
    // A constant difference (another build, hands always a little lower) says nothing about the moment.
    for (Eigen::Index c = 0; c < reference.cols(); ++c) {
        std::vector<double> a(reference.col(c).data(), reference.col(c).data() + reference.rows());
        std::vector<double> b(student.col(c).data(), student.col(c).data() + student.rows());
        const double off = 0.5 * (signal::quantile(b, 0.1) + signal::quantile(b, 0.9)) - 0.5 * (signal::quantile(a, 0.1) + signal::quantile(a, 0.9));
        student.col(c).array() -= 0.7 * off;
    }
}

double distance(const Eigen::MatrixXd& a, Eigen::Index i, const Eigen::MatrixXd& b, Eigen::Index j) {
    return (a.row(i) - b.row(j)).squaredNorm() / static_cast<double>(a.cols());
}

struct Candidate {
    int start = 0, end = 0;
    double cost = 0;
};

/// For every end frame of the student the best start and cost of one repetition (subsequence warping, slopes 1/3 to 3).
std::vector<Candidate> subsequences(const Eigen::MatrixXd& ref, const Eigen::MatrixXd& stu) {
    const int n = static_cast<int>(ref.rows()), m = static_cast<int>(stu.rows());
    std::vector<std::vector<double>> d(4, std::vector<double>(static_cast<std::size_t>(m), inf));
    std::vector<std::vector<int>> s(4, std::vector<int>(static_cast<std::size_t>(m), -1));
    auto row = [&](int i) { return static_cast<std::size_t>(i & 3); };
    std::vector<std::vector<double>> local(4, std::vector<double>(static_cast<std::size_t>(m)));
    for (int i = 0; i < n; ++i) {
        for (int j = 0; j < m; ++j) local[row(i)][static_cast<std::size_t>(j)] = distance(ref, i, stu, j);
        for (int j = 0; j < m; ++j) {
            const auto J = static_cast<std::size_t>(j);
            double best = inf;
            int from = -1;
            if (i == 0) {
                best = local[0][J];
                from = j;
            }
            for (int k = 1; k <= 3 && i > 0; ++k) {
                if (j - k >= 0) { // the student passes k frames while the reference passes one
                    const double c = d[row(i - 1)][J - static_cast<std::size_t>(k)] + local[row(i)][J];
                    if (c < best) best = c, from = s[row(i - 1)][J - static_cast<std::size_t>(k)];
                }
                if (k > 1 && i - k >= 0 && j > 0) {
                    double c = d[row(i - k)][J - 1];
                    for (int q = 0; q < k; ++q) c += local[row(i - q)][J];
                    if (c < best) best = c, from = s[row(i - k)][J - 1];
                }
            }
            d[row(i)][J] = best;
            s[row(i)][J] = from;
        }
    }
    std::vector<Candidate> out(static_cast<std::size_t>(m));
    for (int j = 0; j < m; ++j) {
        const auto J = static_cast<std::size_t>(j);
        out[J] = {s[row(n - 1)][J], j, d[row(n - 1)][J] / n};
        if (out[J].start < 0) out[J].cost = inf;
    }
    return out;
}

struct Chosen {
    Side side;
    Candidate c;
};

/// The set of repetitions that do not overlap and fit best: gain is length times (limit - cost).
std::vector<Chosen> choose(const std::array<std::vector<Candidate>, 2>& of, double limit, int least) {
    const auto m = of[0].size();
    std::vector<double> best(m + 1, 0);
    std::vector<int> from(m + 1, -1), side(m + 1, 0);
    for (std::size_t j = 0; j < m; ++j) {
        best[j + 1] = best[j];
        for (int s = 0; s < 2; ++s) {
            const Candidate& c = of[static_cast<std::size_t>(s)][j];
            if (c.cost >= limit || c.end - c.start < least) continue;
            const double gain = best[static_cast<std::size_t>(c.start)] + (c.end - c.start) * (limit - c.cost);
            if (gain > best[j + 1]) {
                best[j + 1] = gain;
                from[j + 1] = c.start;
                side[j + 1] = s;
            }
        }
    }
    std::vector<Chosen> out;
    for (auto j = static_cast<std::ptrdiff_t>(m); j > 0;) {
        const auto J = static_cast<std::size_t>(j);
        if (from[J] < 0 || best[J] == best[J - 1]) {
            --j;
            continue;
        }
        const Side sd = side[J] == 0 ? Side::left : Side::right;
        out.push_back({sd, of[static_cast<std::size_t>(side[J])][J - 1]});
        j = from[J];
    }
    std::reverse(out.begin(), out.end());
    return out;
}

void snap(Repetition& r, const Movement& movement, const Measures& ms) {
    for (std::size_t p = 0; p < r.phases.size(); ++p) {
        const std::string& kind = movement.phases[p].ends_at;
        if (kind.empty()) continue;
        double best = 0.25, at = NAN;
        auto offer = [&](double t) {
            if (std::abs(t - r.phases[p].end_s) < best) {
                best = std::abs(t - r.phases[p].end_s);
                at = t;
            }
        };
        for (const auto& e : ms.foot_events) {
            if (e.side != r.side) continue;
            if (kind == "foot_off" && e.kind == FootEvent::Kind::off) offer(e.time_s);
            if (kind == "foot_down" && e.kind == FootEvent::Kind::down) offer(e.time_s);
            if (kind == "foot_flat" && e.kind == FootEvent::Kind::flat) offer(e.time_s);
        }
        if (kind == "shift_end")
            for (const auto& s : ms.shifts) offer(s.end_s);
        if (!std::isfinite(at) || at <= r.phases[p].start_s + 0.05) continue;
        if (p + 1 < r.phases.size() && at >= r.phases[p + 1].end_s - 0.05) continue;
        r.phases[p].end_s = at;
        if (p + 1 < r.phases.size()) r.phases[p + 1].start_s = at;
    }
}

} // namespace

Path warp(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b, double band, double& cost) {
    const int n = static_cast<int>(a.rows()), m = static_cast<int>(b.rows());
    cost = inf;
    if (n < 2 || m < 2) return {};
    const auto at = [m](int i, int j) { return static_cast<std::size_t>(i) * static_cast<std::size_t>(m) + static_cast<std::size_t>(j); };
    std::vector<double> d(static_cast<std::size_t>(n) * m, inf), local(d.size(), inf);
    std::vector<signed char> step(d.size(), 0); // +k: (1,k); -k: (k,1)
    auto inside = [&](int i, int j) { return std::abs(static_cast<double>(i) / (n - 1) - static_cast<double>(j) / (m - 1)) <= band; };
    for (int i = 0; i < n; ++i)
        for (int j = 0; j < m; ++j)
            if (inside(i, j)) local[at(i, j)] = distance(a, i, b, j);
    d[0] = local[0];
    for (int i = 1; i < n; ++i)
        for (int j = 1; j < m; ++j) {
            if (!inside(i, j)) continue;
            auto& best = d[at(i, j)];
            for (int k = 1; k <= 3; ++k) {
                if (j >= k && d[at(i - 1, j - k)] < inf) {
                    const double c = d[at(i - 1, j - k)] + local[at(i, j)];
                    if (c < best) best = c, step[at(i, j)] = static_cast<signed char>(k);
                }
                if (k > 1 && i >= k && d[at(i - k, j - 1)] < inf) {
                    double c = d[at(i - k, j - 1)];
                    for (int q = 0; q < k; ++q) c += std::min(local[at(i - q, j)], 1e6);
                    if (c < best) best = c, step[at(i, j)] = static_cast<signed char>(-k);
                }
            }
        }
    if (d[at(n - 1, m - 1)] >= inf) return {};
    cost = d[at(n - 1, m - 1)] / n;
    Path path;
    for (int i = n - 1, j = m - 1; i >= 0 && j >= 0;) {
        path.emplace_back(i, j);
        const int k = step[at(i, j)];
        if (k == 0) break;
        if (k > 0) {
            --i;
            j -= k;
        } else {
            i += k;
            --j;
        }
    }
    std::reverse(path.begin(), path.end());
    return path;
}

double Repetition::to_reference(double t) const {
    const std::vector<double> at{t};
    return signal::resample(student_s, reference_s, at).front();
}

double Repetition::to_student(double t) const {
    const std::vector<double> at{t};
    return signal::resample(reference_s, student_s, at).front();
}

const Repetition* Alignment::at(double t) const {
    for (const auto& r : repetitions)
        if (t >= r.start_s && t < r.end_s) return &r;
    return nullptr;
}

Result<Alignment> align(const Motion& motion, const Measures& measures, const Reference& reference) {
    const double coarse = 10, fine = 25;
    Alignment out;
    const Series grid = signal::uniform_grid(motion.time_s, coarse);
    std::array<std::vector<Candidate>, 2> found;
    auto part = [&](Side s, double rate) {
        const auto& b = reference.borders(s);
        Series t;
        for (double x = b.front(); x <= b.back() + 1e-9; x += 1 / rate) t.push_back(x);
        return t;
    };
    double shortest = 1e9;
    for (const Side s : {Side::left, Side::right}) {
        const Series rt = part(s, coarse);
        Eigen::MatrixXd ref = features(reference.motion(), motion.has_x, motion.has_z, rt);
        Eigen::MatrixXd stu = features(motion, motion.has_x, motion.has_z, grid);
        standardise(ref, stu);
        found[static_cast<std::size_t>(s)] = subsequences(ref, stu);
        shortest = std::min(shortest, rt.back() - rt.front());
    }
    const auto chosen = choose(found, 1.1, static_cast<int>(0.4 * shortest * coarse));
    for (const auto& c : chosen) {
        const double t0 = grid[static_cast<std::size_t>(c.c.start)], t1 = grid[static_cast<std::size_t>(c.c.end)];
        Series st;
        for (double x = t0; x <= t1 + 1e-9; x += 1 / fine) st.push_back(x);
        const Series rt = part(c.side, fine);
        Eigen::MatrixXd ref = features(reference.motion(), motion.has_x, motion.has_z, rt);
        Eigen::MatrixXd stu = features(motion, motion.has_x, motion.has_z, st);
        standardise(ref, stu);
        Repetition r;
        r.side = c.side;
        r.start_s = t0;
        r.end_s = t1;
        Path path = warp(ref, stu, 0.2, r.cost);
        if (path.empty()) continue;
        for (const auto& [i, j] : path) {
            r.reference_s.push_back(rt[static_cast<std::size_t>(i)]);
            r.student_s.push_back(st[static_cast<std::size_t>(j)]);
        }
        const auto& b = reference.borders(c.side);
        const auto& movement = reference.movement();
        for (std::size_t p = 0; p < movement.phases.size(); ++p)
            r.phases.push_back({movement.phases[p].id, r.to_student(b[p]), r.to_student(b[p + 1])});
        snap(r, movement, measures);
        out.repetitions.push_back(std::move(r));
    }
    if (out.repetitions.empty()) return fail(Code::cannot_judge, "no_repetition");
    return out;
}

} // namespace bevel
