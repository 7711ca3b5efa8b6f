#include "core/align/courses.h"
#include <algorithm>
#include <cmath>

namespace bevel {

using aligning::distance;
using aligning::inf;

Path warp(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b, double band, double& cost) {
    const int n = static_cast<int>(a.rows()), m = static_cast<int>(b.rows());
    cost = inf;
    constexpr double pace = 0.02; // where nothing moves, time passes evenly
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
                    const double c = d[at(i - 1, j - k)] + local[at(i, j)] + pace * (k - 1);
                    if (c < best) best = c, step[at(i, j)] = static_cast<signed char>(k);
                }
                if (k > 1 && i >= k && d[at(i - k, j - 1)] < inf) {
                    double c = d[at(i - k, j - 1)] + pace * (k - 1);
                    for (int q = 0; q < k; ++q) c += std::min(local[at(i - q, j)], 1e6);
                    if (c < best) best = c, step[at(i, j)] = static_cast<signed char>(-k);
                }
            }
        }
    if (d[at(n - 1, m - 1)] >= inf) return {};
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
    cost = 0;
    for (const auto& [i, j] : path) cost += local[at(i, j)] / static_cast<double>(path.size());
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

std::string_view not_judged_name(NotJudged::Why w) {
    switch (w) {
    case NotJudged::Why::cut:
        return "cut";
    case NotJudged::Why::unlike:
        return "unlike";
    case NotJudged::Why::other_movement:
        return "other_movement";
    }
    return "";
}

const Repetition* Alignment::at(double t) const {
    for (const auto& r : repetitions)
        if (t >= r.start_s && t < r.end_s) return &r;
    return nullptr;
}

} // namespace bevel
