#include "core/measure/motion.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

using signal::Series;
constexpr double usual_focal = 0.80; // of the longer picture side; main cameras of phones lie within 0.68 to 0.95
constexpr double deg = std::numbers::pi / 180;

struct Px {
    const BodyPx& b;
    Vec2 at(Point p) const { return {b[p].x, b[p].y}; }
    Vec2 mid(Point l) const { return 0.5 * (at(l) + at(mirrored(l))); }
};

/// Pixels after roll: (u right, v down) about the picture's middle.
struct Level {
    double cx, cy, c, s;
    Vec2 operator()(double x, double y) const { return {c * (x - cx) + s * (y - cy), -s * (x - cx) + c * (y - cy)}; }
};

/// Frames whose legs are long and trunk upright: ankle-to-ear height in pixels is 0.887 of stature there.
std::vector<double> standing_heights(const Track& t, const Level& level) {
    std::vector<double> tall;
    for (const auto& f : t.px) {
        if (!f) continue;
        const Px p{*f};
        const Vec2 ear = p.mid(left_ear), ankle = p.mid(left_ankle);
        tall.push_back(level(ankle.x(), ankle.y()).y() - level(ear.x(), ear.y()).y());
    }
    return tall;
}

double depth_offset(Point p, View view, const BodyDims& d) {
    // Side views: how much nearer to the camera a point of the near side is than the middle of the body.
    if (view != View::left && view != View::right) return 0;
    if (p == nose) return 0;
    const bool left = p < right_eye;
    const Point base = left ? p : mirrored(p);
    double half = 0.5 * d.hip_width;
    if (base == left_eye || base == left_ear) half = 0.045 * d.stature;
    if (base == left_shoulder || base == left_elbow) half = 0.5 * d.shoulder_width;
    if (base == left_wrist || base == left_thumb || base == left_index || base == left_little) half = 0.3 * d.shoulder_width;
    if (base == left_knee || base == left_ankle || base == left_heel || base == left_toe) half = 0.075 * d.stature;
    return left == (view == View::left) ? half : -half;
}

class Grounding {
public:
    Grounding(const Track& t, const MotionOptions& o, View view) : t_(t), o_(o), view_(view) {}

    Result<Motion> run() {
        m_.view = view_;
        m_.has_x = view_ == View::front || view_ == View::back;
        m_.has_z = view_ == View::left || view_ == View::right;
        m_.time_s = t_.time_s;
        m_.stature = o_.stature_m.value_or(1.70);
        m_.stature_sigma = o_.stature_m ? 0.01 : 0.09;
        if (auto ok = estimate_camera(); !ok) return tl::unexpected(ok.error());
        unproject();
        return std::move(m_);
    }

private:
    Result<bool> estimate_camera() {
        double w = t_.width, h = t_.height;
        if (w <= 0 || h <= 0) {
            w = 1280, h = 720;
            for (const auto& f : t_.px)
                if (f)
                    for (const auto& p : *f) {
                        if (p.visibility < 0.3) continue;
                        w = std::max(w, p.x * 1.05);
                        h = std::max(h, p.y * 1.05);
                    }
        }
        CameraEstimate c;
        c.focal_px = usual_focal * std::max(w, h);
        c.focal_sigma = 0.1 * c.focal_px;
        const VerticalOnPicture v = t_.vertical.value_or(VerticalOnPicture{});
        c.roll = v.roll;
        c.roll_sigma = v.roll_sigma;
        c.pitch = std::atan(v.slope * c.focal_px);
        c.pitch_sigma = v.slope_sigma * c.focal_px;
        c.vertical_from_room = v.from_room;
        level_ = {w / 2, h / 2, std::cos(v.roll), std::sin(v.roll)};
        const auto tall = standing_heights(t_, level_);
        if (tall.empty()) return fail(Code::cannot_judge, "no_body");
        const double px = signal::quantile(tall, 0.97);
        if (px < 60) return fail(Code::cannot_judge, "too_small");
        // The upright body spans 0.887 of stature between ankle and ear.
        c.px_per_m = px / (0.887 * m_.stature * std::cos(c.pitch));
        c.scale_sigma = std::hypot(m_.stature_sigma / m_.stature, 0.012);
        c.distance = c.focal_px / c.px_per_m;
        // Height of the camera: where the ankles lie under the optical axis while standing.
        Series ankle_row;
        for (const auto& f : t_.px)
            if (f) {
                const Vec2 a = Px{*f}.mid(left_ankle);
                ankle_row.push_back(level_(a.x(), a.y()).y());
            }
        const double row = signal::median(ankle_row);
        const double down = c.pitch + std::atan(row / c.focal_px);
        c.height = std::max(0.2, 0.039 * m_.stature + c.distance * std::tan(down));
        m_.camera = c;
        m_.vertical_sigma = v.from_room ? std::hypot(v.roll_sigma, 0.003) : 0.026;
        return true;
    }

    /// Ray through a pixel in a frame with y up and w away from the camera, horizontally; per unit of w.
    Vec2 ray(double x, double y) const {
        const auto& c = *m_.camera;
        const Vec2 q = level_(x, y);
        const double cp = std::cos(c.pitch), sp = std::sin(c.pitch), v = q.y() / c.focal_px;
        const double away = cp - v * sp, up = -v * cp - sp;
        return {q.x() / c.focal_px / away, up / away};
    }

    void unproject() {
        const auto& c = *m_.camera;
        const BodyDims d = BodyDims::of_stature(m_.stature);
        const auto n = t_.frames();
        m_.m.resize(n);
        m_.sigma.resize(n);
        m_.valid.assign(n, false);
        m_.foot_place.assign(n, {});
        const std::array<Series, 2> feet = foot_depths();
        for (std::size_t i = 0; i < n; ++i) {
            if (!t_.px[i]) continue;
            m_.valid[i] = true;
            const double middle = 0.5 * (feet[0][i] + feet[1][i]);
            for (int k = 0; k < point_count; ++k) {
                const auto p = static_cast<Point>(k);
                const auto& px = (*t_.px[i])[static_cast<std::size_t>(k)];
                const bool left = p != nose && p < right_eye;
                const double foot = feet[left ? 0 : 1][i];
                const Point base = p == nose || left ? p : mirrored(p);
                double w = middle - depth_offset(p, view_, d);
                if (base == left_ankle || base == left_heel || base == left_toe) w += foot - middle;
                if (base == left_knee) w += 0.5 * (foot - middle);
                const Vec2 r = ray(px.x, px.y);
                Vec3 at = Vec3::Zero();
                at.y() = c.height + r.y() * w;
                // Picture right is the student's own left from the front, and the way they face seen from their right.
                if (m_.has_x) at.x() = view_ == View::front ? r.x() * w : -r.x() * w;
                if (m_.has_z) at.z() = view_ == View::left ? -r.x() * w : r.x() * w;
                m_.m[i][static_cast<std::size_t>(k)] = at;
                m_.sigma[i][static_cast<std::size_t>(k)] = std::max(px.sigma, 0.3) * w / c.focal_px;
                if (base == left_heel || base == left_toe) {
                    const double level = c.distance - depth_offset(p, view_, d);
                    m_.foot_place[i][static_cast<std::size_t>((left ? 0 : 2) + (base == left_toe ? 1 : 0))] =
                        Vec2(r.x() * level, r.y() * level);
                }
            }
        }
        // Origin midway between the ankles at the start.
        Series x0, z0;
        for (std::size_t i = 0; i < n && x0.size() < 15; ++i)
            if (m_.valid[i]) {
                const Vec3 a = mid(m_.m[i], left_ankle);
                x0.push_back(a.x());
                z0.push_back(a.z());
            }
        const Vec3 origin(signal::median(x0), 0, signal::median(z0));
        for (auto& b : m_.m)
            for (auto& p : b) p -= origin;
    }

    /// Distance of each foot from the camera. Front and back: where the ankle's ray meets the height of an ankle that stands, slowly
    /// varying; a foot in the air is told up to a fifth of a metre too far, which moves it sideways by less than a centimetre.
    std::array<Series, 2> foot_depths() const {
        const auto& c = *m_.camera;
        const auto n = t_.frames();
        std::array<Series, 2> out{Series(n, c.distance), Series(n, c.distance)};
        if (!m_.has_x) return out;
        const double ankle = 0.039 * m_.stature;
        std::array<Series, 2> raw{Series(n, NAN), Series(n, NAN)};
        Series both;
        for (std::size_t i = 0; i < n; ++i) {
            if (!t_.px[i]) continue;
            for (std::size_t s = 0; s < 2; ++s) {
                const auto& a = (*t_.px[i])[s == 0 ? left_ankle : right_ankle];
                const double fall = ray(a.x, a.y).y();
                if (fall > -0.03) continue;
                raw[s][i] = std::clamp((c.height - ankle) / -fall, 0.6 * c.distance, 1.6 * c.distance);
                both.push_back(raw[s][i]);
            }
        }
        if (both.size() < n) return out; // the camera stands too low to tell depth by the floor
        const double base = signal::median(both);
        for (std::size_t s = 0; s < 2; ++s) {
            const Series slow = signal::low_pass(t_.time_s, signal::fill_gaps(t_.time_s, raw[s], 1e9), 0.8);
            // The body's own scale fixes the level, the floor its changes.
            for (std::size_t i = 0; i < n; ++i) out[s][i] = std::isfinite(slow[i]) ? c.distance * slow[i] / base : c.distance;
        }
        return out;
    }

    const Track& t_;
    const MotionOptions& o_;
    View view_;
    Level level_{0, 0, 1, 0};
    Motion m_;
};

void filter(Motion& m, double cutoff) {
    auto run = [&](auto get) { // get(frame) is the coordinate to filter
        Series y(m.frames(), NAN);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) y[i] = get(i);
        const Series f = signal::low_pass(m.time_s, y, cutoff);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) get(i) = f[i];
    };
    for (std::size_t k = 0; k < point_count; ++k)
        for (Eigen::Index axis = 0; axis < 3; ++axis) run([&](std::size_t i) -> double& { return m.m[i][k][axis]; });
    if (m.foot_place.empty()) return;
    for (std::size_t k = 0; k < 4; ++k)
        for (Eigen::Index axis = 0; axis < 2; ++axis) run([&](std::size_t i) -> double& { return m.foot_place[i][k][axis]; });
}

void fill(Motion& m) {
    std::vector<bool> filled = m.valid;
    for (std::size_t k = 0; k < point_count; ++k)
        for (Eigen::Index axis = 0; axis < 3; ++axis) {
            Series y(m.frames(), NAN);
            for (std::size_t i = 0; i < m.frames(); ++i)
                if (m.valid[i]) y[i] = m.m[i][k][axis];
            const Series f = signal::fill_gaps(m.time_s, y, 0.25);
            for (std::size_t i = 0; i < m.frames(); ++i)
                if (!m.valid[i] && std::isfinite(f[i])) {
                    m.m[i][k][axis] = f[i];
                    m.sigma[i][k] = i > 0 ? 2 * m.sigma[i - 1][k] : 0.05;
                    filled[i] = true;
                }
        }
    for (std::size_t k = 0; k < 4 && !m.foot_place.empty(); ++k)
        for (Eigen::Index axis = 0; axis < 2; ++axis) {
            Series y(m.frames(), NAN);
            for (std::size_t i = 0; i < m.frames(); ++i)
                if (m.valid[i]) y[i] = m.foot_place[i][k][axis];
            const Series f = signal::fill_gaps(m.time_s, y, 0.25);
            for (std::size_t i = 0; i < m.frames(); ++i)
                if (filled[i]) m.foot_place[i][k][axis] = f[i];
        }
    m.valid = filled;
}

/// Floor at y = 0: lowest places of heels and toes over the clip.
void set_floor(Motion& m) {
    Series low;
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i]) continue;
        for (const Side s : {Side::left, Side::right}) {
            const auto& b = m.m[i];
            low.push_back(b[static_cast<std::size_t>(on(s, left_ankle))].y());
        }
    }
    const double floor = signal::quantile(low, 0.25) - 0.039 * m.stature;
    for (auto& b : m.m)
        for (auto& p : b) p.y() -= floor;
    if (m.camera) m.camera->height -= floor;
}

Neutral from_proportions(const Motion& m) {
    const BodyDims d = BodyDims::of_stature(m.stature);
    Neutral n;
    n.shoulder_width = d.shoulder_width;
    n.shoulder_width_sigma = 0.06 * d.shoulder_width;
    n.hip_height = d.hip_height();
    n.thigh = d.thigh;
    n.shank = d.shank;
    n.trunk = d.trunk;
    n.foot = d.foot_length;
    n.ear_shoulder_gap = d.neck_to_ear;
    return n;
}

/// The quietest upright second: legs long, trunk upright, nothing moving faster than 8 cm/s.
void find_neutral(Motion& m, const MotionOptions& o) {
    m.neutral = from_proportions(m);
    if (o.shoulder_width_m) {
        m.neutral.shoulder_width = *o.shoulder_width_m;
        m.neutral.shoulder_width_sigma = 0.025 * *o.shoulder_width_m;
    }
    const auto n = m.frames();
    const auto window = static_cast<std::size_t>(std::max(3.0, m.rate));
    if (n < window + 2) return;
    Series speed(n, NAN), tall(n, NAN);
    for (std::size_t i = 1; i < n; ++i) {
        if (!m.valid[i] || !m.valid[i - 1]) continue;
        double v = 0;
        for (const Point p : {left_hip, left_shoulder, left_wrist, left_ankle})
            for (const Point q : {p, mirrored(p)}) v = std::max(v, (m.m[i][q] - m.m[i - 1][q]).norm());
        speed[i] = v / (m.time_s[i] - m.time_s[i - 1]);
        tall[i] = mid(m.m[i], left_hip).y() - 0.5 * (m.m[i][left_ankle].y() + m.m[i][right_ankle].y());
    }
    const double top = signal::quantile(tall, 0.97);
    double best = 0.10 + 6 * m.jitter * m.rate * 0.2;
    std::size_t at = n;
    for (std::size_t i = 1; i + window <= n; i += std::max<std::size_t>(1, window / 10)) {
        const auto part = std::span(speed).subspan(i, window), h = std::span(tall).subspan(i, window);
        if (std::any_of(part.begin(), part.end(), [](double v) { return !std::isfinite(v); })) continue;
        if (signal::quantile(h, 0.5) < 0.97 * top) continue;
        const double q = signal::quantile(part, 0.8);
        if (q < best) {
            best = q;
            at = i;
        }
    }
    if (at == n) return;
    auto median_of = [&](auto f) {
        Series v;
        for (std::size_t i = at; i < at + window; ++i) v.push_back(f(m.m[i]));
        return signal::median(v);
    };
    auto length = [&](Point a, Point b) {
        return median_of([&](const Body3& p) { return 0.5 * ((p[a] - p[b]).norm() + (p[mirrored(a)] - p[mirrored(b)]).norm()); });
    };
    const double side_bend = median_of([&](const Body3& p) {
        return 0.5 * (joint_bend(p[left_hip], p[left_knee], p[left_ankle]) + joint_bend(p[right_hip], p[right_knee], p[right_ankle]));
    });
    const double lean = median_of([&](const Body3& p) {
        const Vec3 d = mid(p, left_shoulder) - mid(p, left_hip);
        return std::atan2(std::hypot(d.x(), d.z()), d.y()) / deg;
    });
    if (side_bend > 22 || lean > 12) return;
    Neutral& u = m.neutral;
    u.source = NeutralSource::quiet_second;
    u.from_s = m.time_s[at];
    u.to_s = m.time_s[at + window - 1];
    u.hip_height = median_of([&](const Body3& p) { return mid(p, left_hip).y(); });
    u.thigh = length(left_hip, left_knee);
    u.shank = length(left_knee, left_ankle);
    u.trunk = median_of([&](const Body3& p) { return (mid(p, left_shoulder) - mid(p, left_hip)).norm(); });
    u.ear_shoulder_gap = median_of([&](const Body3& p) { return mid(p, left_ear).y() - mid(p, left_shoulder).y(); });
    u.knee_sum = side_bend;
    if (m.has_z) {
        u.head_offset = median_of([&](const Body3& p) { return mid(p, left_ear).z() - mid(p, left_shoulder).z(); });
        u.foot = length(left_heel, left_toe);
    }
    if (m.has_x) {
        u.shoulder_width = median_of([&](const Body3& p) { return (p[left_shoulder] - p[right_shoulder]).norm(); });
        u.shoulder_width_sigma = m.view == View::three_d ? 0.002 * u.shoulder_width : 0.025 * u.shoulder_width;
    }
}

} // namespace

std::string MotionOptions::validate() const {
    if (stature_m && !(*stature_m > 0.8 && *stature_m < 2.5)) return "height";
    if (shoulder_width_m && !(*shoulder_width_m > 0.15 && *shoulder_width_m < 0.7)) return "shoulder width";
    if (cutoff_hz < 0 || cutoff_hz > 50) return "cutoff";
    return {};
}

View guess_view(const Track& track) {
    Series wide, nose_side, face;
    for (const auto& f : track.px) {
        if (!f) continue;
        const Px p{*f};
        const double trunk = (p.mid(left_shoulder) - p.mid(left_hip)).norm();
        if (trunk < 1) continue;
        wide.push_back((p.at(left_shoulder).x() - p.at(right_shoulder).x()) / trunk);
        nose_side.push_back((p.at(nose).x() - p.mid(left_ear).x()) / trunk);
    }
    const double w = signal::median(wide);
    if (std::abs(w) < 0.30) return signal::median(nose_side) > 0 ? View::right : View::left;
    if (std::abs(w) < 0.48) return View::oblique;
    return w > 0 ? View::front : View::back;
}

Result<Motion> make_motion(const Track& track, const MotionOptions& options) {
    if (const auto bad = options.validate(); !bad.empty()) return fail(Code::bad_value, bad);
    if (track.frames() < 10) return fail(Code::cannot_judge, "too_short");
    const bool metres = std::any_of(track.m.begin(), track.m.end(), [](const auto& f) { return f.has_value(); });
    const bool pixels = std::any_of(track.px.begin(), track.px.end(), [](const auto& f) { return f.has_value(); });
    const View view = options.view.value_or(metres && !pixels ? View::three_d : guess_view(track));
    Motion m;
    if (view == View::three_d) {
        if (!metres) return fail(Code::cannot_judge, "view_needed");
        m.time_s = track.time_s;
        m.m.resize(track.frames());
        m.sigma.assign(track.frames(), {});
        m.valid.assign(track.frames(), false);
        for (std::size_t i = 0; i < track.frames(); ++i)
            if (track.m[i]) {
                m.m[i] = *track.m[i];
                m.valid[i] = true;
                m.sigma[i].fill(0.004);
            }
        m.vertical_sigma = 0.005;
        Series tall;
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) tall.push_back((mid(m.m[i], left_ear).y() - mid(m.m[i], left_ankle).y()) / 0.887);
        m.stature = options.stature_m.value_or(signal::quantile(tall, 0.97));
        m.stature_sigma = 0.01;
    } else {
        if (view == View::oblique) return fail(Code::cannot_judge, "oblique_view");
        if (!pixels) return fail(Code::cannot_judge, "no_body");
        auto made = Grounding(track, options, view).run();
        if (!made) return made;
        m = std::move(*made);
    }
    m.rate = signal::median_rate(m.time_s);
    const auto seen = static_cast<std::size_t>(std::count(m.valid.begin(), m.valid.end(), true));
    if (seen < 10 || seen * 2 < m.frames()) return fail(Code::cannot_judge, "no_body");
    if (view != View::three_d && track.height > 0) {
        std::size_t cut = 0;
        for (const auto& f : track.px)
            if (f && (std::max((*f)[left_heel].y, (*f)[left_toe].y) > track.height ||
                      std::max((*f)[right_heel].y, (*f)[right_toe].y) > track.height))
                ++cut;
        if (cut * 5 > seen) return fail(Code::cannot_judge, "feet_cut_off");
    }
    fill(m);
    m.jitter = view == View::three_d ? 0.0005 : 0.004;
    if (options.filter) filter(m, options.cutoff_hz > 0 ? options.cutoff_hz : view == View::three_d ? 6.0 : 4.0);
    if (view != View::three_d) set_floor(m);
    find_neutral(m, options);
    return m;
}

} // namespace bevel
