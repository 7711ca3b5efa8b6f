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
    const Series* time_s = nullptr;
    std::vector<Series> columns;
    Eigen::MatrixXd at(const Series& times) const {
        Eigen::MatrixXd out(static_cast<Eigen::Index>(times.size()), static_cast<Eigen::Index>(columns.size()));
        for (std::size_t c = 0; c < columns.size(); ++c) {
            const Series y = signal::resample(*time_s, columns[c], times);
            for (std::size_t r = 0; r < times.size(); ++r) out(static_cast<Eigen::Index>(r), static_cast<Eigen::Index>(c)) = y[r];
        }
        return out;
    }
};

Features features(const Motion& m, const Axes& axes) {
    Features found{&m.time_s, {}};
    const auto n = m.frames();
    std::vector<Body3> own(n);
    std::vector<Vec2> right(n); // picture's right in own (x, z)
    for (std::size_t i = 0; i < n; ++i) {
        if (!m.valid[i]) continue;
        own[i] = m.own(i);
        const double a = m.from_pictures() ? m.azimuth[i] : axes.azimuth;
        right[i] = Vec2(std::cos(a), -std::sin(a));
    }
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
    auto body = [&](std::size_t i) -> const Body3& { return own[i]; };
    auto across = [&](std::size_t i, const Vec3& v) { return v.x() * right[i].x() + v.z() * right[i].y(); };
    add([&](std::size_t i) { return 3.0 * mid(body(i), left_hip).y() / m.neutral.hip_height; });
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

/// What turns features into standard deviations of the reference, with the student's constant difference of build taken out.
struct Standard {
    Eigen::RowVectorXd mean, sd, build;
    void reference(Eigen::MatrixXd& m) const { m = (m.rowwise() - mean).array().rowwise() / sd.array(); }
    void student(Eigen::MatrixXd& m) const { m = (m.rowwise() - (mean + build)).array().rowwise() / sd.array(); }
};

/// Spread over the whole reference, both sides. Build is what differs in quiet standing; nothing where the clip shows none.
Standard standard(const Features& reference, const Features& own, const Motion& student) {
    const Eigen::MatrixXd all = reference.at(signal::uniform_grid(*reference.time_s, 10));
    Standard s;
    s.mean = all.colwise().mean();
    s.sd = ((all.rowwise() - s.mean).array().square().colwise().mean().sqrt()).max(0.08); // what hardly moves tells little
    s.build = Eigen::RowVectorXd::Zero(all.cols());
    const Neutral& n = student.neutral;
    if (n.source == NeutralSource::quiet_second && n.to_s > n.from_s) {
        Series t;
        for (double at = n.from_s; at <= n.to_s; at += 0.1) t.push_back(at);
        s.build = own.at(t).colwise().mean() - all.row(0);
        // Hands may hang elsewhere without meaning anything: at most as far as the movement itself moves.
        s.build = s.build.cwiseMin(s.sd).cwiseMax(-s.sd);
    }
    return s;
}

double distance(const Eigen::MatrixXd& a, Eigen::Index i, const Eigen::MatrixXd& b, Eigen::Index j) {
    return (a.row(i) - b.row(j)).squaredNorm() / static_cast<double>(a.cols());
}

struct Chosen {
    Side side;
    int start = 0, end = 0; // rows of the student, both inside
};

/// Explains every moment of the clip either as a moment of a repetition of one side or as standing by, at the least total cost. Within a
/// repetition one step of the student passes up to three of the reference, and three steps of the student at most pass one: slopes 1/3
/// to 3. (Viterbi 1967; the moments of both sides are the states.)
class Segmenter {
public:
    Segmenter(const std::array<Eigen::MatrixXd, 2>& reference, const Eigen::MatrixXd& student, const Eigen::MatrixXd& still)
        : reference_(reference), student_(student), still_(still) {}

    std::vector<Chosen> run() {
        const auto m = student_.rows();
        again_ = alike() ? 1000 : 20;
        for (std::size_t s = 0; s < 2; ++s) {
            const auto n = static_cast<std::size_t>(reference_[s].rows());
            cost_[s].assign(n, {inf, inf, inf});
            came_[s].assign(n * static_cast<std::size_t>(m), none);
        }
        idle_came_.assign(static_cast<std::size_t>(m) * 3, from_idle);
        for (Eigen::Index j = 0; j < m; ++j) step(j);
        return trace();
    }

private:
    static constexpr double limit = 0.9;   // mean squared distance, in variances, from which a moment is better not explained
    static constexpr double uneven = 0.03; // price of leaving the reference's own pace
    /// How a state was reached: 3 * (steps - 1) + holds within a repetition; from_idle + what came before; from_end + 3 * side + holds.
    static constexpr unsigned char none = 255, from_idle = 9, from_end = 12;
    static constexpr std::size_t start_of_clip = 2; // standing by after a left (0) or right (1) repetition, or before any

    /// Whether the two sides look the same in this view, moment for moment: then they are taken to take turns.
    bool alike() const {
        const auto n = std::min(reference_[0].rows(), reference_[1].rows());
        double sum = 0;
        for (Eigen::Index k = 0; k < n; ++k) sum += distance(reference_[0], k, reference_[1], k);
        return sum < 0.15 * static_cast<double>(n);
    }

    double idle_cost(Eigen::Index j) const {
        double best = limit;
        for (Eigen::Index k = 0; k < still_.rows(); ++k) best = std::min(best, distance(still_, k, student_, j) + 0.05);
        return best;
    }

    /// Cheapest way to begin a repetition of side `next` after the step before; without one, the cheapest way to have ended.
    std::pair<double, unsigned char> free(std::optional<std::size_t> next) const {
        std::pair<double, unsigned char> best{inf, none};
        auto offer = [&](double cost, std::size_t before, unsigned char how) {
            // Alike sides: the left is taken to begin.
            const double c = cost + (next == before ? again_ : 0) + (before == start_of_clip && next == 1 && again_ > 100 ? 5 : 0);
            if (c < best.first) best = {c, how};
        };
        for (std::size_t before = 0; before < 3; ++before) offer(idle_[before], before, static_cast<unsigned char>(from_idle + before));
        for (std::size_t s = 0; s < 2; ++s)
            for (std::size_t h = 0; h < 3; ++h) offer(cost_[s].back()[h], s, static_cast<unsigned char>(from_end + 3 * s + h));
        return best;
    }

    /// Standing by at step j: as before, or since the end of a repetition.
    void stand_by(Eigen::Index j) {
        const double here = idle_cost(j);
        for (std::size_t before = 0; before < 3; ++before) {
            double best = j == 0 ? (before == start_of_clip ? 0.0 : inf) : idle_[before];
            auto how = static_cast<unsigned char>(from_idle + before);
            for (std::size_t h = 0; h < 3 && before < 2 && j > 0; ++h)
                if (cost_[before].back()[h] < best)
                    best = cost_[before].back()[h], how = static_cast<unsigned char>(from_end + 3 * before + h);
            idle_came_[static_cast<std::size_t>(j) * 3 + before] = how;
            next_idle_[before] = best + here;
        }
    }

    void step(Eigen::Index j) {
        stand_by(j);
        std::array<std::vector<std::array<double, 3>>, 2> next;
        for (std::size_t s = 0; s < 2; ++s) {
            const auto n = cost_[s].size();
            const auto [open, how] =
                j == 0 ? std::pair{s == 1 && again_ > 100 ? 5.0 : 0.0, static_cast<unsigned char>(from_idle + start_of_clip)} : free(s);
            next[s].assign(n, {inf, inf, inf});
            for (std::size_t i = 0; i < n; ++i) {
                const double local = distance(reference_[s], static_cast<Eigen::Index>(i), student_, j);
                double best = i == 0 ? open : inf;
                unsigned char from = i == 0 ? how : none;
                for (std::size_t k = 1; k <= 3 && k <= i && j > 0; ++k)
                    for (std::size_t h = 0; h < 3; ++h) {
                        const double c = cost_[s][i - k][h] + uneven * static_cast<double>(k - 1);
                        if (c < best) best = c, from = static_cast<unsigned char>(3 * (k - 1) + h);
                    }
                next[s][i][0] = best + local;
                came_[s][static_cast<std::size_t>(j) * n + i] = from;
                for (std::size_t h = 1; h < 3 && j > 0; ++h) next[s][i][h] = cost_[s][i][h - 1] + local + uneven;
            }
        }
        idle_ = next_idle_;
        cost_ = std::move(next);
    }

    std::vector<Chosen> trace() const {
        std::vector<Chosen> out;
        unsigned char state = free(std::nullopt).second;
        auto j = static_cast<int>(student_.rows()) - 1;
        while (j >= 0) {
            if (state < from_end) {
                state = idle_came_[static_cast<std::size_t>(j--) * 3 + (state - from_idle)];
                continue;
            }
            const auto s = static_cast<std::size_t>((state - from_end) / 3);
            auto h = static_cast<std::size_t>((state - from_end) % 3);
            std::size_t i = cost_[s].size() - 1;
            Chosen c{s == 0 ? Side::left : Side::right, 0, j};
            while (true) {
                j -= static_cast<int>(h); // held moments
                const unsigned char from = came_[s][static_cast<std::size_t>(j) * cost_[s].size() + i];
                if (from >= from_idle) {
                    state = from;
                    break;
                }
                i -= static_cast<std::size_t>(from / 3) + 1;
                h = from % 3U;
                --j;
            }
            c.start = j--;
            out.push_back(c);
        }
        std::reverse(out.begin(), out.end());
        return out;
    }

    const std::array<Eigen::MatrixXd, 2>& reference_;
    const Eigen::MatrixXd &student_, &still_;
    std::array<std::vector<std::array<double, 3>>, 2> cost_; // of being at a moment after so many holds there
    std::array<double, 3> idle_{inf, inf, 0}, next_idle_{};
    double again_ = 20; // price of the same side once more without a pause
    std::array<std::vector<unsigned char>, 2> came_;
    std::vector<unsigned char> idle_came_;
};

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
        for (const auto& e : ms.events) {
            if (e.side != r.side || e.part != Part::foot) continue;
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

Result<Alignment> align(const Motion& motion, const Measures& measures, const Reference& reference) {
    const double coarse = 10, fine = 25;
    const Motion& whole = reference.motion();
    const Axes axes = axes_of(motion);
    const Features reference_courses = features(whole, axes), courses = features(motion, axes);
    const Standard scale = standard(reference_courses, courses, motion);
    auto of_reference = [&](const Series& t) {
        Eigen::MatrixXd f = reference_courses.at(t);
        scale.reference(f);
        return f;
    };
    auto of_student = [&](const Series& t) {
        Eigen::MatrixXd f = courses.at(t);
        scale.student(f);
        return f;
    };
    auto times = [](double from, double to, double rate) {
        Series t;
        for (double x = from; x <= to + 1e-9; x += 1 / rate) t.push_back(x);
        return t;
    };
    auto part = [&](Side s, double rate) { return times(reference.borders(s).front(), reference.borders(s).back(), rate); };
    const Series grid = signal::uniform_grid(motion.time_s, coarse);
    const std::array<Eigen::MatrixXd, 2> sides{of_reference(part(Side::left, coarse)), of_reference(part(Side::right, coarse))};
    // Standing by: quietly as before the first repetition, or in the posture between two of them.
    const Eigen::MatrixXd still = of_reference({whole.time_s.front(), reference.borders(Side::left).front()});
    Alignment out;
    for (const auto& c : Segmenter(sides, of_student(grid), still).run()) {
        Repetition r;
        r.side = c.side;
        r.start_s = grid[static_cast<std::size_t>(c.start)];
        r.end_s = grid[static_cast<std::size_t>(c.end)];
        const Series rt = part(c.side, fine), st = times(r.start_s, r.end_s, fine);
        const Eigen::MatrixXd ref = of_reference(rt), stu = of_student(st);
        const Path path = warp(ref, stu, 0.2, r.cost);
        if (path.empty() || !is_whole(path, ref, stu)) continue;
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
