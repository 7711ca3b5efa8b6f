#include "core/align/align.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr double inf = 1e18;

/// What is compared: places of hands and feet against the hips, depth and weight, along the axes that the view shows: own sideways and
/// forward for points in metres, the picture's own horizontal for one camera. One row a moment.
struct Axes {
    bool room = true;
    double azimuth = 0; // one camera: where it stands; the reference is seen from there
};

Axes axes_of(const Motion& student) {
    Axes a;
    a.room = !student.from_pictures();
    if (a.room) return a;
    double c = 0, s = 0;
    for (std::size_t i = 0; i < student.frames(); ++i)
        if (student.valid[i]) c += std::cos(student.azimuth[i]), s += std::sin(student.azimuth[i]);
    a.azimuth = std::atan2(s, c);
    return a;
}

/// The courses that are compared, worked out once for a clip; read at any times.
struct Features {
    Series time_s;
    std::vector<Series> columns;
    Eigen::MatrixXd at(const Series& times) const {
        Eigen::MatrixXd out(static_cast<Eigen::Index>(times.size()), static_cast<Eigen::Index>(columns.size()));
        for (std::size_t c = 0; c < columns.size(); ++c) {
            const Series y = signal::resample(time_s, columns[c], times);
            for (std::size_t r = 0; r < times.size(); ++r) out(static_cast<Eigen::Index>(r), static_cast<Eigen::Index>(c)) = y[r];
        }
        return out;
    }
};

/// Postures in own axes over time, with the picture's right in own (x, z).
struct Postures {
    Series time_s;
    std::vector<Body3> own;
    std::vector<Vec2> right;
    std::vector<bool> valid;
    double stature = 1.7, hip_height = 0.9;
};

Vec2 right_from(double azimuth) {
    return {std::cos(azimuth), -std::sin(azimuth)};
}

Postures postures(const Motion& m, const Axes& axes) {
    Postures p{m.time_s, std::vector<Body3>(m.frames()), std::vector<Vec2>(m.frames()), m.valid, m.stature, m.neutral.hip_height};
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i]) continue;
        p.own[i] = m.own(i);
        p.right[i] = right_from(axes.room ? axes.azimuth : m.azimuth[i]);
    }
    return p;
}

Postures postures(const ReferenceModel& r, std::vector<double> time_s, std::vector<Body3> own, const Axes& axes) {
    const auto n = own.size();
    return {std::move(time_s),          std::move(own), std::vector<Vec2>(n, right_from(axes.azimuth)),
            std::vector<bool>(n, true), r.stature,      r.hip_height};
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
        if (std::abs(std::sin(axes.azimuth)) > 0.4) add([&](std::size_t i) { return across(i, feet(i)); });
    }
    return found;
}

/// The courses of all parts of the body, as far as the view shows them, over stature: what halts when somebody halts.
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

/// What turns features into standard deviations of the reference, with the student's constant difference of build taken out.
struct Standard {
    Eigen::RowVectorXd mean, sd, build;
    void reference(Eigen::MatrixXd& m) const { m = (m.rowwise() - mean).array().rowwise() / sd.array(); }
    void student(Eigen::MatrixXd& m) const { m = (m.rowwise() - (mean + build)).array().rowwise() / sd.array(); }
    /// Build is a constant difference. Hands may hang elsewhere without meaning anything: at most as far as the movement itself moves.
    /// The height of the hips (first column) is in that of a stand which may not have been one: fifteen hundredths of it more or less.
    void set_build(const Eigen::RowVectorXd& difference) {
        Eigen::RowVectorXd most = sd;
        most[0] = std::max(most[0], 0.45);
        build = difference.cwiseMin(most).cwiseMax(-most);
    }
};

/// Spread over all that the form consists of. Build is what differs in quiet standing.
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

/// Stretches of a course in which nothing moves, without their first and last moments: they are states of any length, and left out of
/// what is aligned.
struct Still {
    double from, to;
};

/// One way of going through an entry of the form: led by one side, or by either where both look alike.
struct Unit {
    std::size_t entry = 0;
    std::optional<Side> side;
    const ReferenceModel* model = nullptr;
    Features courses;
    Series times;         // of the rows: at the coarse rate, without what is held still
    Eigen::MatrixXd rows; // in standard deviations
    std::vector<Still> stills;
    Side reference_side() const { return side.value_or(Side::left); }
    const ReferenceModel::Course& course() const { return model->of(reference_side()); }
};

struct Chosen {
    std::size_t unit = 0;
    int start = 0, end = 0; // rows of the student, both inside
    int from = 0, to = 0;   // rows of the reference it begins and ends with
};

/// Explains every moment of the clip either as a moment of a repetition of a unit or as standing by, at the least total cost. Within a
/// repetition one step of the student passes up to three of the reference, and three steps of the student at most pass one: slopes 1/3
/// to 3. Only at the ends of the clip may a repetition begin or end anywhere. (Viterbi 1967; the moments of all units are the states.)
class Segmenter {
public:
    Segmenter(const std::vector<Unit>& units, const Eigen::MatrixXd& student, const Eigen::MatrixXd& still)
        : units_(units), student_(student), still_(still), start_of_clip_(units.size()) {}

    /// `cost` becomes that of the whole clip.
    std::vector<Chosen> run(double& cost) {
        const auto m = student_.rows();
        cost_.resize(units_.size());
        came_.resize(units_.size());
        for (std::size_t s = 0; s < units_.size(); ++s) {
            const auto n = static_cast<std::size_t>(units_[s].rows.rows());
            cost_[s].assign(n, {inf, inf, inf});
            came_[s].assign(n * static_cast<std::size_t>(m), none);
        }
        idle_.assign(units_.size() + 1, inf);
        next_idle_ = idle_;
        idle_came_.assign(static_cast<std::size_t>(m) * idle_.size(), from_idle);
        for (Eigen::Index j = 0; j < m; ++j) step(j);
        return trace(cost);
    }

private:
    static constexpr double limit = 0.9;                // mean squared distance, in variances, from which a moment is better not explained
    static constexpr double uneven = 0.03;              // price of leaving the reference's own pace
    static constexpr double again = 20;                 // of the same side once more without a pause
    static constexpr double cut = 1.5;                  // of a repetition that is not seen whole
    static constexpr double skipped = 15, swapped = 40; // of an entry of a form left out, of one that comes before its turn
    /// How a state was reached: 3 * (steps - 1) + holds within a repetition; from_idle + what came before; end_of + 3 * unit + holds;
    /// cut_in: the clip begins here.
    using How = unsigned short;
    static constexpr How none = 65535, cut_in = 65534, from_idle = 9;
    How end_of() const { return static_cast<How>(from_idle + units_.size() + 1); }

    double idle_cost(Eigen::Index j) const {
        double best = limit;
        for (Eigen::Index k = 0; k < still_.rows(); ++k) best = std::min(best, distance(still_, k, student_, j) + 0.05);
        return best;
    }

    /// Price of a unit after another, or of the first one.
    double price(std::size_t before, std::size_t next) const {
        const auto e = static_cast<double>(units_[next].entry);
        if (before == start_of_clip_) return skipped * e;
        const double gap = e - static_cast<double>(units_[before].entry);
        if (gap == 0) return before == next && units_[next].side ? again : 0;
        return gap > 0 ? skipped * (gap - 1) : swapped;
    }

    /// Cheapest way to begin a repetition of unit `next` after the step before; without one, the cheapest way to have ended.
    std::pair<double, How> free(std::optional<std::size_t> next) const {
        std::pair<double, How> best{inf, none};
        auto offer = [&](double cost, std::size_t before, How how) {
            const double c = cost + (next ? price(before, *next) : 0);
            if (c < best.first) best = {c, how};
        };
        for (std::size_t before = 0; before < idle_.size(); ++before) offer(idle_[before], before, static_cast<How>(from_idle + before));
        for (std::size_t s = 0; s < units_.size(); ++s)
            for (std::size_t h = 0; h < 3; ++h) offer(cost_[s].back()[h], s, static_cast<How>(end_of() + 3 * s + h));
        return best;
    }

    /// Standing by at step j: as before, or since the end of a repetition.
    void stand_by(Eigen::Index j) {
        const double here = idle_cost(j);
        for (std::size_t before = 0; before < idle_.size(); ++before) {
            double best = j == 0 ? (before == start_of_clip_ ? 0.0 : inf) : idle_[before];
            auto how = static_cast<How>(from_idle + before);
            for (std::size_t h = 0; h < 3 && before < start_of_clip_ && j > 0; ++h)
                if (cost_[before].back()[h] < best) best = cost_[before].back()[h], how = static_cast<How>(end_of() + 3 * before + h);
            idle_came_[static_cast<std::size_t>(j) * idle_.size() + before] = how;
            next_idle_[before] = best + here;
        }
    }

    void step(Eigen::Index j) {
        stand_by(j);
        std::vector<std::vector<std::array<double, 3>>> next(units_.size());
        for (std::size_t s = 0; s < units_.size(); ++s) {
            const auto n = cost_[s].size();
            const auto [open, how] = j == 0 ? std::pair{price(start_of_clip_, s), static_cast<How>(from_idle + start_of_clip_)} : free(s);
            next[s].assign(n, {inf, inf, inf});
            for (std::size_t i = 0; i < n; ++i) {
                const double local = distance(units_[s].rows, static_cast<Eigen::Index>(i), student_, j);
                double best = i == 0 ? open : j == 0 ? open + cut : inf;
                How from = i == 0 ? how : j == 0 ? cut_in : none;
                for (std::size_t k = 1; k <= 3 && k <= i && j > 0; ++k)
                    for (std::size_t h = 0; h < 3; ++h) {
                        const double c = cost_[s][i - k][h] + uneven * static_cast<double>(k - 1);
                        if (c < best) best = c, from = static_cast<How>(3 * (k - 1) + h);
                    }
                next[s][i][0] = best + local;
                came_[s][static_cast<std::size_t>(j) * n + i] = from;
                for (std::size_t h = 1; h < 3 && j > 0; ++h) next[s][i][h] = cost_[s][i][h - 1] + local + uneven;
            }
        }
        idle_ = next_idle_;
        cost_ = std::move(next);
    }

    /// Where the clip ends: standing by, at the end of a repetition, or anywhere in one.
    struct Last {
        How state = none;
        std::optional<std::size_t> row; // of the reference, when cut
        double cost = 0;
    };
    Last last() const {
        auto [best, state] = free(std::nullopt);
        Last l{state, std::nullopt, best};
        for (std::size_t s = 0; s < units_.size(); ++s)
            for (std::size_t i = 0; i + 1 < cost_[s].size(); ++i)
                for (std::size_t h = 0; h < 3; ++h)
                    if (cost_[s][i][h] + cut < best) {
                        best = cost_[s][i][h] + cut;
                        l = {static_cast<How>(end_of() + 3 * s + h), i, best};
                    }
        return l;
    }

    std::vector<Chosen> trace(double& cost) const {
        std::vector<Chosen> out;
        auto [state, row, whole] = last();
        cost = whole;
        auto j = static_cast<int>(student_.rows()) - 1;
        while (j >= 0) {
            if (state < end_of()) {
                state = idle_came_[static_cast<std::size_t>(j--) * idle_.size() + (state - from_idle)];
                continue;
            }
            const auto s = static_cast<std::size_t>((state - end_of()) / 3);
            auto h = static_cast<std::size_t>((state - end_of()) % 3);
            std::size_t i = row.value_or(cost_[s].size() - 1);
            row.reset();
            Chosen c{s, 0, j, 0, static_cast<int>(i)};
            while (true) {
                j -= static_cast<int>(h); // held moments
                const How from = came_[s][static_cast<std::size_t>(j) * cost_[s].size() + i];
                if (from >= from_idle) {
                    state = from == cut_in ? static_cast<How>(from_idle + start_of_clip_) : from;
                    break;
                }
                i -= static_cast<std::size_t>(from / 3) + 1;
                h = from % 3U;
                --j;
            }
            c.from = static_cast<int>(i);
            c.start = j--;
            out.push_back(c);
        }
        std::reverse(out.begin(), out.end());
        return out;
    }

    const std::vector<Unit>& units_;
    const Eigen::MatrixXd &student_, &still_;
    std::size_t start_of_clip_;                            // standing by after a unit, or before any
    std::vector<std::vector<std::array<double, 3>>> cost_; // of being at a moment after so many holds there
    std::vector<double> idle_, next_idle_;
    std::vector<std::vector<How>> came_;
    std::vector<How> idle_came_;
};

/// Borders that end with an event that was found are put there.
void snap(Repetition& r, const ReferenceModel& model, const Measures& ms) {
    for (std::size_t p = 0; p < r.phases.size(); ++p) {
        const std::string& kind = model.phases[r.phases[p].index].ends_at;
        if (kind.empty()) continue;
        double best = 0.25, at = NAN;
        auto offer = [&](double t) {
            if (std::abs(t - r.phases[p].end_s) < best) {
                best = std::abs(t - r.phases[p].end_s);
                at = t;
            }
        };
        for (const auto& e : ms.events) {
            if (!r.side || e.side != r.side || e.part != Part::foot) continue;
            if (kind == "foot_off" && e.kind == EventKind::off) offer(e.time_s);
            if (kind == "foot_down" && (e.kind == EventKind::heel_down || e.kind == EventKind::toe_down)) offer(e.time_s);
            if (kind == "foot_flat" && e.kind == EventKind::flat) offer(e.time_s);
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

namespace {
/// Whether a repetition is like the reference from its beginning to its end: one that is cut off by the end of the clip is squeezed to fit.
bool is_whole(const Path& path, const Eigen::MatrixXd& reference, const Eigen::MatrixXd& student) {
    const std::size_t part = std::max<std::size_t>(1, path.size() / 6);
    auto mean = [&](std::size_t from, std::size_t to) {
        double sum = 0;
        for (std::size_t k = from; k < to; ++k) sum += distance(reference, path[k].first, student, path[k].second);
        return sum / static_cast<double>(to - from);
    };
    return mean(0, part) < 0.9 && mean(path.size() - part, path.size()) < 0.9;
}
} // namespace

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

const Repetition* Alignment::at(double t) const {
    for (const auto& r : repetitions)
        if (t >= r.start_s && t < r.end_s) return &r;
    return nullptr;
}

namespace {

constexpr double coarse = 10, fine = 25; // moments a second

Series times(double from, double to, double rate) {
    Series t;
    for (double x = from; x <= to + 1e-9; x += 1 / rate) t.push_back(x);
    return t;
}

/// Whether the two sides look the same in this view, moment for moment.
bool alike(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b) {
    const auto n = std::min(a.rows(), b.rows());
    double sum = 0;
    for (Eigen::Index k = 0; k < n; ++k) sum += distance(a, k, b, k);
    return sum < 0.15 * static_cast<double>(n);
}

/// How fast all that is compared moves, in standard deviations a second (root mean square of the columns), freed of `noise`.
Series speeds(const Features& f, const Eigen::RowVectorXd& sd, const Series& at, double cutoff_hz, double noise = 0) {
    Series square(at.size(), 0);
    for (std::size_t c = 0; c < f.columns.size(); ++c) {
        const Series y = f.time_s.size() > 3 ? signal::low_pass(f.time_s, f.columns[c], cutoff_hz) : f.columns[c];
        const Series v = signal::resample(f.time_s, signal::derivative(f.time_s, y), at);
        for (std::size_t k = 0; k < at.size(); ++k) square[k] += std::pow(v[k] / sd[static_cast<Eigen::Index>(c)], 2);
    }
    for (double& x : square) x = std::isfinite(x) ? std::sqrt(std::max(0.0, x / static_cast<double>(f.columns.size()) - noise * noise)) : 0;
    return square;
}

/// Slower than this share of what is usual for so long is still; so much of it is kept at both ends.
constexpr double still_share = 0.25, still_least_s = 1.6, still_ends_s = 0.3;
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
bool within(const std::vector<Still>& all, double t) {
    return std::any_of(all.begin(), all.end(), [&](const Still& s) { return t > s.from && t < s.to; });
}
/// Without the moments inside of still stretches.
Series moving(Series t, const std::vector<Still>& all) {
    std::erase_if(t, [&](double x) { return within(all, x); });
    return t;
}
/// Time of [from, to] in which something moves.
double moving_time(double from, double to, const std::vector<Still>& all) {
    double t = to - from;
    for (const auto& s : all) t -= std::max(0.0, std::min(to, s.to) - std::max(from, s.from));
    return t;
}

/// A clip held against a form.
class Aligner {
public:
    Aligner(const Motion& motion, const Measures& measures, const Form& form)
        : motion_(motion), measures_(measures), any_size_(form.any_size), axes_(axes_of(motion)),
          own_(features(postures(motion, axes_), axes_)) {
        for (std::size_t e = 0; e < form.entries.size(); ++e)
            for (const Side s : {Side::left, Side::right})
                if (form.entries[e].side.value_or(s) == s) {
                    Unit u{e, s, form.entries[e].movement, {}, {}, {}, {}};
                    u.courses = features(postures(*u.model, u.course().time_s, u.course().posture, axes_), axes_);
                    units_.push_back(std::move(u));
                }
        const ReferenceModel& first = *form.entries.front().movement;
        quiet_ = features(postures(first, {0}, {first.quiet}, axes_), axes_).at({0});
        Eigen::MatrixXd all = quiet_;
        for (auto& u : units_) {
            u.rows = u.courses.at(times(u.course().from(), u.course().to(), coarse));
            Eigen::MatrixXd both(all.rows() + u.rows.rows(), all.cols());
            both << all, u.rows;
            all = std::move(both);
        }
        scale_ = standard(all, quiet_, own_, motion);
        find_stills();
        for (auto& u : units_) {
            u.rows = course_at(u, u.times);
            scale_.reference(u.rows);
        }
        scale_.reference(quiet_);
        merge_alike();
    }

    Alignment run() {
        Alignment found = repetitions();
        if (found.repetitions.empty()) found = stands();
        return found;
    }

private:
    static constexpr double fair = 0.25; // mean cost of a fit that is not tried at another size
    static constexpr double well = 0.1;  // mean cost of a fit, in variances, that needs no second look
    struct Fit {
        Alignment found;
        double cost = 0; // of explaining the whole clip
        double mean_cost() const {
            double sum = 0;
            for (const auto& r : found.repetitions) sum += r.cost;
            return found.repetitions.empty() ? inf : sum / static_cast<double>(found.repetitions.size());
        }
    };

    /// Of a movement that is mostly a hold: stretches of its posture that begin and end with the clip or with something else, each a
    /// repetition of which the hold alone is seen.
    Alignment stands() const {
        constexpr double mostly = 0.4, least_s = 8, apart_s = 2, like = 0.6, first_s = 10;
        Alignment out;
        if (units_.empty()) return out;
        const Unit& u = units_.front();
        const auto& c = u.course();
        const auto figure = std::max_element(u.stills.begin(), u.stills.end(),
                                             [](const Still& a, const Still& b) { return a.to - a.from < b.to - b.from; });
        if (figure == u.stills.end() || figure->to - figure->from < mostly * (c.to() - c.from())) return out;
        const double middle = 0.5 * (figure->from + figure->to);
        std::size_t phase = 0;
        while (phase + 1 < u.model->phases.size() && c.borders[phase + 1] < middle) ++phase;
        std::vector<Still> whole;
        for (const auto& s : stills_)
            if (!whole.empty() && s.from - whole.back().to < apart_s)
                whole.back().to = s.to;
            else
                whole.push_back(s);
        for (const auto& s : whole) {
            if (s.to - s.from < least_s) continue;
            // What stood quietly may have been this very posture: with and without the build that was told from it.
            Eigen::MatrixXd asked = course_at(u, {middle});
            scale_.reference(asked);
            double best = inf;
            for (const bool with_build : {true, false}) {
                Standard scale = scale_;
                if (!with_build) scale.build.setZero();
                Eigen::MatrixXd there = own_.at(times(s.from, std::min(s.to, s.from + first_s), 1)); // later it may have sunk
                scale.student(there);
                double sum = 0;
                for (Eigen::Index k = 0; k < there.rows(); ++k) sum += distance(there, k, asked, 0) / static_cast<double>(there.rows());
                best = std::min(best, sum);
            }
            if (best > like) continue;
            Repetition r;
            r.side = u.model->symmetric ? std::nullopt : u.side;
            r.entry = u.entry;
            r.start_s = s.from - still_ends_s;
            r.end_s = s.to + still_ends_s;
            r.cost = best;
            r.cut = true;
            r.phases = {{u.model->phases[phase].id, r.start_s, r.end_s, phase}};
            r.student_s = {r.start_s, r.end_s};
            r.reference_s = {figure->from, figure->to};
            out.repetitions.push_back(std::move(r));
        }
        return out;
    }

    /// The course of a unit, done so much larger or smaller: the way from where it begins.
    Eigen::MatrixXd course_at(const Unit& u, const Series& t) const {
        Eigen::MatrixXd m = u.courses.at(t);
        if (range_ == 1) return m;
        const Eigen::RowVectorXd home = u.courses.at({u.course().from()}).row(0);
        return (range_ * (m.rowwise() - home)).rowwise() + home;
    }

    /// The movement is known by its course and not by its size: where it does not fit well as it stands, it is tried smaller.
    Alignment repetitions() {
        Fit best = at_range();
        if (!any_size_ || (!best.found.repetitions.empty() && best.mean_cost() < fair)) return best.found;
        for (const double smaller : {0.7, 0.5}) {
            range_ = smaller;
            for (auto& u : units_) {
                u.rows = course_at(u, u.times);
                scale_.reference(u.rows);
            }
            Fit other = at_range();
            if (!other.found.repetitions.empty() && (best.found.repetitions.empty() || other.mean_cost() < 0.5 * best.mean_cost()))
                best = std::move(other); // a little better may be by chance
        }
        return best.found;
    }

    Fit at_range() {
        Fit best = once();
        // Without a quiet stand, or where the still moment that was taken for one fits badly, the build is told from how the repetitions
        // that are found differ throughout; what explains the clip at the least cost is kept.
        if (motion_.neutral.source == NeutralSource::quiet_second && best.mean_cost() < well) return best;
        auto offer = [&](Fit other) {
            if (!other.found.repetitions.empty() && (best.found.repetitions.empty() || other.cost < best.cost)) best = std::move(other);
        };
        scale_.build.setZero();
        Fit plain = once();
        if (!plain.found.repetitions.empty()) {
            learn_build(plain.found);
            offer(once());
        }
        offer(std::move(plain));
        return best;
    }

    /// Where nothing moves, in the clip and in each unit, against their own typical speed.
    void find_stills() {
        // Half of all that moves moves faster (weighed by its square, so that the longest stand does not count).
        auto typical = [](Series v) {
            std::sort(v.begin(), v.end());
            double whole = 0, sum = 0;
            for (const double x : v) whole += x * x;
            for (const double x : v)
                if ((sum += x * x) >= 0.5 * whole) return x;
            return 1.0;
        };
        Series all;
        for (auto& u : units_) {
            u.times = times(u.course().from(), u.course().to(), coarse);
            const Series v = speeds(u.courses, scale_.sd, u.times, slow_hz);
            all.insert(all.end(), v.begin(), v.end());
        }
        usual_ = typical(all);
        for (auto& u : units_) {
            u.stills = stills(u.times, speeds(u.courses, scale_.sd, u.times, slow_hz), still_share * usual_);
            u.times = moving(u.times, u.stills);
        }
        const Series grid = signal::uniform_grid(motion_.time_s, coarse), v = speeds(own_, scale_.sd, grid, slow_hz);
        const double pace = std::clamp(typical(v) / std::max(1e-6, usual_), 0.3, 1.5);
        stills_ = stills(grid, v, still_share * usual_ * pace);
        parts_ = all_parts(postures(motion_, axes_), axes_);
        even_ = Eigen::RowVectorXd::Ones(static_cast<Eigen::Index>(parts_.columns.size()));
        // A clip in which nobody does more than sway has no typical speed of its own: all of it is one stand. (Parts of the body sway by 3
        // mm a second or so; the slowest sinking is twice as quick as this.)
        constexpr double sway = 0.0035; // of stature a second, root mean square of the parts
        if (signal::quantile(speeds(parts_, even_, grid, slow_hz), 0.98) < sway)
            stills_ = {{grid.front() + still_ends_s, grid.back() - still_ends_s}};
        grid_ = moving(grid, stills_);
        noise_ = signal::quantile(speeds(parts_, even_, signal::uniform_grid(motion_.time_s, fine), stop_hz), 0.03);
    }

    /// Where the figure is still, so is the student in that posture: the stretches that were left out of both are the same ones.
    void join_holds(Repetition& r, const Unit& u) const {
        constexpr double near_s = 1.5; // of the reference's time
        for (const auto& figure : u.stills) {
            double from = inf, to = -inf;
            for (const auto& own : stills_) {
                if (own.from < r.student_s.front() || own.to > r.student_s.back()) continue;
                const double middle = 0.5 * (own.from + own.to), at = r.to_reference(middle);
                if (at < figure.from - near_s || at > figure.to + near_s) continue;
                // A halt on the way there is another posture, which the moment found for it explains better.
                Eigen::MatrixXd there = own_.at({middle}), asked = course_at(u, {0.5 * (figure.from + figure.to), at});
                scale_.student(there);
                scale_.reference(asked);
                if (distance(there, 0, asked, 0) < distance(there, 0, asked, 1) + 0.02)
                    from = std::min(from, own.from), to = std::max(to, own.to);
            }
            if (from >= to) continue;
            std::vector<double> student, reference;
            bool put = false;
            for (std::size_t k = 0; k < r.student_s.size(); ++k) {
                const bool before =
                    r.student_s[k] < from && r.reference_s[k]<figure.from, after = r.student_s[k]> to && r.reference_s[k] > figure.to;
                if (after && !put) {
                    student.insert(student.end(), {from, to});
                    reference.insert(reference.end(), {figure.from, figure.to});
                    put = true;
                }
                if (before || after) student.push_back(r.student_s[k]), reference.push_back(r.reference_s[k]);
            }
            if (!put || student.front() != r.student_s.front()) continue;
            r.student_s = std::move(student);
            r.reference_s = std::move(reference);
        }
    }

    /// Halts in a repetition that was found.
    void find_stops(Repetition& r, const Unit& u) const {
        const auto& c = u.course();
        const double pace =
            moving_time(c.from(), c.to(), u.stills) / std::max(0.1, moving_time(r.to_student(c.from()), r.to_student(c.to()), stills_));
        const Series t = times(r.start_s, r.end_s, fine), own = speeds(parts_, even_, t, stop_hz, noise_);
        const Series rt = times(c.from(), c.to(), fine),
                     figure = speeds(all_parts(postures(*u.model, c.time_s, c.posture, axes_), axes_), even_, rt, stop_hz);
        const Series moment = signal::resample(r.student_s, r.reference_s, t);
        const auto frame = [&](double at) {
            return static_cast<std::size_t>(std::clamp((at - c.from()) * fine, 0.0, static_cast<double>(rt.size() - 1)));
        };
        // What the figure does about a moment: the turning point of a course is no halt.
        auto asked_speed = [&](double at) {
            double most = 0;
            for (std::size_t k = frame(at - 0.3); k <= frame(at + 0.3); ++k) most = std::max(most, figure[k]);
            return most;
        };
        // For how long the figure itself is so slow about a moment: a turning point takes its time.
        auto slow_for = [&](double at, double limit) {
            std::size_t low = frame(at);
            for (std::size_t k = frame(at - 0.5); k <= frame(at + 0.5); ++k)
                if (figure[k] < figure[low]) low = k;
            if (figure[low] >= limit) return 0.0;
            std::size_t from = low, to = low;
            while (from > 0 && figure[from - 1] < limit) --from;
            while (to + 1 < figure.size() && figure[to + 1] < limit) ++to;
            return rt[to] - rt[from];
        };
        for (std::size_t k = 0; k < t.size(); ++k) {
            if (own[k] >= stop_share * asked_speed(moment[k]) * pace) continue;
            std::size_t e = k;
            while (e + 1 < t.size() && own[e + 1] < stop_share * asked_speed(moment[e + 1]) * pace) ++e;
            Stop stop{t[k], t[e], 0, false};
            k = e;
            const double middle = 0.5 * (stop.from_s + stop.to_s), at = r.to_reference(middle);
            const double usual = slow_for(at, stop_share * asked_speed(at)) / std::max(0.1, pace);
            // A moment of the figure is told to `about_s`, which slow practice draws out.
            if (stop.length() - 1.5 * usual <= std::max(stop_least_s, about_s / std::max(0.1, pace))) continue;
            for (const auto& p : r.phases)
                if (middle >= p.start_s && middle <= p.end_s) stop.phase = p.index;
            // Where a pause belongs, or the figure comes to rest at the end of a phase that settles: borders are told so roughly.
            auto touches = [&](double from, double to) {
                return r.to_reference(stop.to_s) > from - about_s && r.to_reference(stop.from_s) < to + about_s;
            };
            // Between repetitions everybody may stand.
            stop.asked = r.to_reference(stop.from_s) < c.from() + about_s || r.to_reference(stop.to_s) > c.to() - about_s ||
                         stop.from_s - r.start_s < 0.5 || r.end_s - stop.to_s < 0.5;
            for (std::size_t p = 0; p < u.model->phases.size(); ++p) {
                const auto& phase = u.model->phases[p];
                stop.asked = stop.asked || (phase.rests && touches(c.borders[p], c.borders[p + 1])) ||
                             (phase.settles && touches(c.borders[p + 1], c.borders[p + 1]));
            }
            r.stops.push_back(stop);
        }
    }

    /// Sides of an entry that look alike become one unit without a side.
    void merge_alike() {
        for (std::size_t k = 0; k + 1 < units_.size(); ++k)
            if (units_[k].entry == units_[k + 1].entry && alike(units_[k].rows, units_[k + 1].rows)) {
                units_[k].side.reset();
                units_.erase(units_.begin() + static_cast<std::ptrdiff_t>(k) + 1);
            }
    }

    void learn_build(const Alignment& found) {
        std::vector<Series> apart(static_cast<std::size_t>(quiet_.cols()));
        for (const auto& r : found.repetitions) {
            const auto u =
                std::find_if(units_.begin(), units_.end(), [&](const Unit& x) { return x.entry == r.entry && x.side == r.side; });
            const Eigen::MatrixXd d = own_.at(r.student_s) - course_at(*u, r.reference_s);
            for (Eigen::Index row = 0; row < d.rows(); ++row)
                for (Eigen::Index c = 0; c < d.cols(); ++c) apart[static_cast<std::size_t>(c)].push_back(d(row, c));
        }
        Eigen::RowVectorXd build(quiet_.cols());
        for (Eigen::Index c = 0; c < build.cols(); ++c) build[c] = signal::median(apart[static_cast<std::size_t>(c)]);
        scale_.set_build(build);
    }

    Fit once() const {
        const Series& grid = grid_;
        Eigen::MatrixXd student = own_.at(grid);
        scale_.student(student);
        // Standing by: quietly as before the first repetition, or in the posture between two of them.
        Eigen::MatrixXd still(1 + static_cast<Eigen::Index>(units_.size()), quiet_.cols());
        still.row(0) = quiet_.row(0);
        for (std::size_t k = 0; k < units_.size(); ++k) still.row(static_cast<Eigen::Index>(k) + 1) = units_[k].rows.row(0);
        Fit out;
        for (const auto& c : Segmenter(units_, student, still).run(out.cost))
            if (auto r = fit(c, grid)) out.found.repetitions.push_back(std::move(*r));
        return out;
    }

    std::optional<Repetition> fit(const Chosen& c, const Series& grid) const {
        const Unit& u = units_[c.unit];
        const auto& course = u.course();
        Repetition r;
        r.side = u.side;
        r.entry = u.entry;
        r.start_s = grid[static_cast<std::size_t>(c.start)];
        r.end_s = grid[static_cast<std::size_t>(c.end)];
        r.cut = c.from > 0 || c.to + 1 < u.rows.rows();
        const double from = c.from > 0 ? u.times[static_cast<std::size_t>(c.from)] : course.from(),
                     to = c.to + 1 < u.rows.rows() ? u.times[static_cast<std::size_t>(c.to)] : course.to();
        // Of a repetition that is cut at least a third is asked, else it may be anything.
        if (r.cut && to - from < (course.to() - course.from()) / 3) return std::nullopt;
        const Series rt = moving(times(from, to, fine), u.stills), st = moving(times(r.start_s, r.end_s, fine), stills_);
        Eigen::MatrixXd reference = course_at(u, rt), student = own_.at(st);
        scale_.reference(reference);
        scale_.student(student);
        const Path path = warp(reference, student, 0.2, r.cost);
        if (path.empty() || !is_whole(path, reference, student)) return std::nullopt;
        for (const auto& [i, j] : path) {
            r.reference_s.push_back(rt[static_cast<std::size_t>(i)]);
            r.student_s.push_back(st[static_cast<std::size_t>(j)]);
        }
        join_holds(r, u);
        const auto& b = course.borders;
        for (std::size_t p = 0; p < u.model->phases.size(); ++p)
            if (!r.cut || (b[p] >= from - 1e-9 && b[p + 1] <= to + 1e-9))
                r.phases.push_back({u.model->phases[p].id, r.to_student(b[p]), r.to_student(b[p + 1]), p});
        if (r.phases.empty()) return std::nullopt;
        snap(r, *u.model, measures_);
        find_stops(r, u);
        return r;
    }

    const Motion& motion_;
    const Measures& measures_;
    bool any_size_;
    Axes axes_;
    Features own_;
    std::vector<Unit> units_;
    Eigen::MatrixXd quiet_;
    Standard scale_;
    static constexpr double slow_hz = 1, stop_hz = 4;              // below which speeds are taken
    static constexpr double stop_share = 0.25, stop_least_s = 0.4; // of the figure's own speed; a shorter halt is none
    static constexpr double about_s = 0.3;                         // of the reference's time, how surely a moment of it is told
    double usual_ = 1, noise_ = 0;                                 // speed of the figure; of the clip's own noise
    double range_ = 1;                                             // of the way of the movement
    Features parts_;                                               // of the clip
    Eigen::RowVectorXd even_;                                      // all parts count alike
    std::vector<Still> stills_;                                    // of the clip
    Series grid_;                                                  // coarse moments of the clip without these
};

} // namespace

Result<Alignment> align(const Motion& motion, const Measures& measures, const Form& form) {
    if (form.entries.empty() || std::any_of(form.entries.begin(), form.entries.end(), [](const FormEntry& e) { return !e.movement; }))
        return fail(Code::bad_value, "form");
    Alignment out = Aligner(motion, measures, form).run();
    if (out.repetitions.empty()) return fail(Code::cannot_judge, "no_repetition");
    return out;
}

} // namespace bevel
