// The student standing quietly.
#include "core/ground/grounding.h"
#include <algorithm>
#include <span>

namespace bevel::grounding {
namespace {

using signal::Series;

Neutral from_proportions(const Motion& m, const MotionOptions& o) {
    const BodyDims d = BodyDims::of_stature(m.stature);
    Neutral n;
    n.shoulder_width = o.shoulder_width_m.value_or(d.shoulder_width);
    n.shoulder_width_sigma = (o.shoulder_width_m ? 0.025 : 0.06) * n.shoulder_width;
    n.width_from = o.shoulder_width_m ? From::stated : From::proportions;
    n.hip_height = d.hip_height();
    n.thigh = d.thigh;
    n.shank = d.shank;
    n.trunk = d.trunk;
    n.foot = d.foot_length;
    return n;
}

/// Height of a point as the camera sees it: where its line of sight passes the hips' distance. In metres, its own.
double seen_height(const Motion& m, std::size_t frame, Point p) {
    const Body3& b = m.m[frame];
    if (!m.from_pictures()) return b[p].y();
    const auto away = [&](const Vec3& v) { return std::hypot(v.x() - m.camera_at.x(), v.z() - m.camera_at.z()); };
    return m.camera_at.y() + (b[p].y() - m.camera_at.y()) * away(mid(b, left_hip)) / std::max(0.1, away(b[p]));
}

} // namespace

double upright_share(const std::vector<double>& time_s) {
    constexpr double upright_s = 4;
    return std::max(0.97, 1 - upright_s / std::max(1.0, time_s.back() - time_s.front()));
}

namespace {

constexpr std::size_t half_step = 3, window = 10; // of a grid of a tenth of a second

/// The search for the quiet second: figures on a grid of a tenth of a second, whatever the frame rate, and what a second must fulfil.
class QuietSecond {
public:
    QuietSecond(const Motion& m, std::optional<double> stature_m) : m_(m), stature_m_(stature_m) {
        for (double s = m.time_s.front(); s <= m.time_s.back() + 1e-9; s += 0.1) {
            const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s - 1e-9) - m.time_s.begin());
            if (i < m.frames() && (grid_.empty() || i > grid_.back())) grid_.push_back(i);
        }
        own_.resize(grid_.size());
        for (Series* v : {&speed_, &tall_, &bend_, &lean_, &wide_, &low_}) v->assign(grid_.size(), NAN);
        for (std::size_t k = 0; k < grid_.size(); ++k)
            if (m.valid[grid_[k]]) describe(k);
        for (std::size_t k = half_step; k + half_step < grid_.size(); ++k)
            if (m.valid[grid_[k]] && m.valid[grid_[k - half_step]] && m.valid[grid_[k + half_step]]) speed_[k] = fastest(k);
    }

    /// The first moment on the grid of the second found.
    std::optional<std::size_t> find() const {
        if (grid_.size() < window + 2 * half_step) return std::nullopt;
        // Of quiet seconds the tallest: a hold is as quiet, and lower by little.
        const double top = signal::quantile(tall_, upright_share(m_.time_s)), widest = m_.has_x ? signal::quantile(wide_, 0.9) : 0;
        const double quiet = std::hypot(0.08, 2.5 * m_.jitter / (2 * half_step * 0.1)); // noise alone looks like a slow movement
        double best = 1e18;
        std::optional<std::size_t> found;
        for (std::size_t k = 0; k + window <= grid_.size(); ++k) {
            if (!stands(k, top, widest)) continue;
            const double q = signal::quantile(part(speed_, k), 0.8);
            const double least = q + quiet * (1 - signal::median(part(tall_, k)) / top) / lower;
            if (q < quiet && least < best) {
                best = least;
                found = k;
            }
        }
        return found;
    }

    std::size_t frame(std::size_t k) const { return grid_[k]; }
    /// The median over the second that begins there.
    template <class F> double median_of(std::size_t from, F f) const {
        Series v;
        for (std::size_t k = from; k < from + window; ++k) v.push_back(f(own_[k]));
        return signal::median(v);
    }

private:
    static constexpr double lower = 0.025; // of the height, which weighs as much as the whole of what is quiet

    static std::span<const double> part(const Series& s, std::size_t k) { return std::span(s).subspan(k, window); }

    void describe(std::size_t k) {
        const auto i = grid_[k];
        own_[k] = m_.own(i);
        const Body3& b = own_[k];
        tall_[k] = mid(b, left_ear).y() - mid(b, left_ankle).y();
        low_[k] = mid(b, left_hip).y() / std::max(0.1, mid(b, left_ear).y());
        const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
        if (m_.has_x) wide_[k] = std::abs(b[left_shoulder].x() - b[right_shoulder].x());
        lean_[k] = std::atan2(std::hypot(d.x(), d.z()), d.y()) / deg;
        if (!m_.from_pictures() || m_.has_z) // the near leg where one is nearer
            bend_[k] = std::max(m_.azimuth.empty() || m_.azimuth[i] > 0 ? joint_bend(b[left_hip], b[left_knee], b[left_ankle]) : 0.0,
                                m_.azimuth.empty() || m_.azimuth[i] < 0 ? joint_bend(b[right_hip], b[right_knee], b[right_ankle]) : 0.0);
    }

    /// Of hips, shoulders, wrists and ankles; of one camera across its lines of sight.
    double fastest(std::size_t k) const {
        const auto before = grid_[k - half_step], now = grid_[k], after = grid_[k + half_step];
        const double dt = m_.time_s[after] - m_.time_s[before];
        double v = 0;
        for (const Point p : {left_hip, left_shoulder, left_wrist, left_ankle})
            for (const Point q : {p, mirrored(p)}) {
                Vec3 move = m_.m[after][at(q)] - m_.m[before][at(q)];
                if (m_.from_pictures()) {
                    const Vec3 sight = Vec3(m_.m[now][at(q)] - m_.camera_at).normalized();
                    move -= move.dot(sight) * sight;
                }
                v = std::max(v, move.norm() / dt);
            }
        return v;
    }

    /// Whether the second from there is an upright stand on two feet, seen without a gap.
    bool stands(std::size_t k, double top, double widest) const {
        if (m_.time_s[grid_[k + window - 1]] - m_.time_s[grid_[k]] > 1.3) return false; // a gap
        const auto speed = part(speed_, k);
        if (std::any_of(speed.begin(), speed.end(), [](double v) { return !std::isfinite(v); })) return false;
        const double tall = signal::median(part(tall_, k));
        if (tall < (1 - lower) * top) return false;
        // Who is never upright in the clip does not stand quietly in it: the stated height tells so.
        if (stature_m_ && tall < 0.93 * 0.887 * *stature_m_) return false;
        // Where nobody said how tall they are, the hips do: of who stands they are at 0.57 of the ears' height (Winter 2009), a child's a
        // little lower; of who sits at 0.43, seen from the front up to 0.5.
        if (!stature_m_ && signal::median(part(low_, k)) < 0.515) return false;
        if (signal::median(part(lean_, k)) > 12) return false;
        // A hold with turned shoulders is quiet too, but no neutral: they show narrower than they are.
        if (m_.has_x && signal::median(part(wide_, k)) < 0.9 * widest) return false;
        // Nor is a hold on one leg one. One camera may take a lifted foot for one that stands nearer to it: what counts is how much lower
        // the one is seen, at the distance of the hips; a camera at head height sees a foot that is a foot's length nearer a tenth of a
        // body lower.
        const double up = m_.from_pictures() ? 0.15 : 0.1;
        if (const auto i = grid_[k + window / 2];
            m_.valid[i] && std::abs(seen_height(m_, i, left_ankle) - seen_height(m_, i, right_ankle)) > up * top)
            return false;
        const double b = signal::median(part(bend_, k));
        return !std::isfinite(b) || b <= 15 + (m_.from_pictures() || m_.fitted ? 5 : 0); // pictures tell a bend to a few degrees
    }

    const Motion& m_;
    std::optional<double> stature_m_;
    std::vector<std::size_t> grid_; // frames
    std::vector<Body3> own_;
    Series speed_, tall_, bend_, lean_, wide_, low_; // low: height of the hips in that of the ears
};

/// The shoulders' width from that second, where they are seen square enough.
void take_width(Neutral& u, const Motion& m, std::size_t frame, double width) {
    const double turned = m.from_pictures() ? std::abs(std::cos(m.azimuth[frame])) : 1;
    if (turned <= std::cos(25 * deg)) return;
    u.shoulder_width = width;
    const auto& s = m.sigma[frame][left_shoulder];
    u.shoulder_width_sigma = m.from_pictures() ? std::hypot(1.414 * s.person, 0.008 * width) : std::hypot(0.001, s.across * 0.5);
    u.width_from = From::quiet_stand;
}

} // namespace

void find_neutral(Motion& m, const MotionOptions& o) {
    m.neutral = from_proportions(m, o);
    Neutral& u = m.neutral;
    const QuietSecond second(m, o.stature_m);
    const auto found = second.find();
    if (!found) return;
    auto median_of = [&](auto f) { return second.median_of(*found, f); };
    auto length = [&](Point a, Point b) {
        return median_of([&](const Body3& p) { return 0.5 * ((p[a] - p[b]).norm() + (p[mirrored(a)] - p[mirrored(b)]).norm()); });
    };
    u.source = NeutralSource::quiet_second;
    u.from_s = m.time_s[second.frame(*found)];
    u.to_s = m.time_s[second.frame(*found + window - 1)];
    for (std::size_t p = 0; p < point_count; ++p)
        for (Eigen::Index a = 0; a < 3; ++a) u.body[p][a] = median_of([&](const Body3& b) { return b[p][a]; });
    u.hip_height = mid(u.body, left_hip).y();
    u.trunk = median_of([&](const Body3& p) { return (mid(p, left_shoulder) - mid(p, left_hip)).norm(); });
    if (m.has_z) u.foot = length(left_heel, left_toe);
    // From the front a bend of the knees shortens the thigh on the picture; the longest that shows is nearest to the truth.
    u.thigh = std::max(length(left_hip, left_knee), m.from_pictures() ? u.thigh * 0.93 : 0);
    u.shank = std::max(length(left_knee, left_ankle), m.from_pictures() ? u.shank * 0.93 : 0);
    u.knee_sum = median_of([&](const Body3& p) {
        return 0.5 * (joint_bend(p[left_hip], p[left_knee], p[left_ankle]) + joint_bend(p[right_hip], p[right_knee], p[right_ankle]));
    });
    if (m.has_x)
        take_width(u, m, second.frame(*found), median_of([](const Body3& p) { return (p[left_shoulder] - p[right_shoulder]).norm(); }));
}

} // namespace bevel::grounding
