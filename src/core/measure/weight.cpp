#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

using signal::Series;
constexpr double gravity = 9.81;
// Of a body of the table's masses: where its centre lies beside that of the person, m (segments' masses differ by some per cent).
constexpr double masses_spread = 0.009;
// A share so far from the whole weight is no support on one leg: what a step leaves the centre beside the foot, at most.
constexpr double not_over = 0.4;
constexpr double oblique = 20 * std::numbers::pi / 180; // off the front, the back or a side

using Feet = std::array<std::vector<Vec3>, 2>; // foot centres, left and right, a frame each

/// Where the feet stand. A foot in the air counts where it stood, and from the middle of its way on where it will stand: on its way it
/// would change the line between the feet and with it the share of a body that does not move.
Feet standing_feet(const Motion& m, const Measures& out) {
    Feet feet;
    const auto n = m.frames();
    for (const Side s : {Side::left, Side::right}) {
        auto& c = feet[static_cast<std::size_t>(s)];
        for (std::size_t f = 0; f < n; ++f) c.push_back(m.valid[f] ? foot_centre(m.m[f], s) : Vec3(NAN, NAN, NAN));
        const auto& contact = out.contact[static_cast<std::size_t>(s)];
        auto placed = [&](std::size_t from, std::size_t to) {
            Series x, z;
            for (std::size_t f = from; f < to; ++f)
                if (m.valid[f]) x.push_back(c[f].x()), z.push_back(c[f].z());
            return x.empty() ? std::optional<Vec3>() : Vec3(signal::median(x), 0, signal::median(z));
        };
        for (std::size_t a = 0; a < n;) {
            std::size_t b = a;
            while (b < n && contact[b] == Contact::off) ++b;
            if (b > a) {
                const auto few = static_cast<std::size_t>(std::max(3.0, 0.3 * m.rate));
                const auto before = a > 0 ? placed(a > few ? a - few : 0, a) : std::nullopt,
                           after = b < n ? placed(b, std::min(n, b + few)) : std::nullopt;
                for (std::size_t f = a; f < b; ++f) {
                    const auto& at = f < (a + b) / 2 ? (before ? before : after) : (after ? after : before);
                    if (at) c[f] = *at;
                }
            }
            a = std::max(b, a + 1);
        }
    }
    return feet;
}

/// The share of weight along one direction of the floor: of each camera the one that lies in its picture, of 3D points the line of the
/// feet.
struct Along {
    Series span, still, moving; // distance of the feet; projection of the body centre and of its zero moment, share on the left foot
    Series sigma;               // of a share, the vertical's part left out
    double tilt = 0;            // part of the vertical, m
};

Along project(const Motion& m, const Feet& feet, const std::vector<Vec3>& centre, const std::array<Series, 3>& acc, double centre_sigma) {
    const auto n = m.frames();
    Along a{Series(n, NAN), Series(n, NAN), Series(n, NAN), Series(n, NAN), 0};
    const Vec3 right(std::cos(m.start_azimuth), 0, -std::sin(m.start_azimuth)); // of the picture
    for (std::size_t f = 0; f < n; ++f) {
        if (!m.valid[f]) continue;
        Vec3 line = feet[0][f] - feet[1][f];
        line.y() = 0;
        const Vec3 axis = m.from_pictures() ? right : Vec3(line.normalized());
        const double span = line.dot(axis);
        Vec3 zero = centre[f];
        for (Eigen::Index k = 0; k < 3; k += 2)
            if (std::isfinite(acc[static_cast<std::size_t>(k)][f]))
                zero[k] -= acc[static_cast<std::size_t>(k)][f] * centre[f].y() / gravity;
        a.span[f] = span;
        a.still[f] = (centre[f] - feet[1][f]).dot(axis) / span;
        a.moving[f] = (zero - feet[1][f]).dot(axis) / span;
        auto foot = [&](Side s) {
            const auto& p = m.sigma[f][index_of(on(s, left_heel))];
            return 0.75 * std::hypot(p.across, p.person);
        };
        // A body beside the line of the feet is projected beside its place.
        const double slant = std::sqrt(std::max(0.0, line.squaredNorm() - span * span)) / std::max(0.05, std::abs(span));
        const double w = a.still[f], body = std::hypot(centre_sigma, m.from_pictures() ? 0.03 * slant : 0);
        a.sigma[f] = std::sqrt(body * body + std::pow(foot(Side::left) * w, 2) + std::pow(foot(Side::right) * (1 - w), 2)) / std::abs(span);
    }
    a.tilt = (m.camera ? m.camera->roll.sigma : m.vertical_sigma) * 0.56 * m.stature; // the body centre stands so high
    return a;
}

/// Offset, m, learnt from quiet single supports of 0.3 s and more, where all of the weight must be on one foot; with it goes most of the
/// error of a tilted vertical. A support that is off by more than a camera can be is none: who stands on the toes of both feet is taken for
/// one with a foot off the floor. Nothing without such a support, or where most are of that kind.
std::optional<double> calibration(const Motion& m, const Measures& out, const Along& a) {
    const double most = std::hypot(0.04, 2 * a.tilt);
    Series metres;
    int kept = 0, all = 0;
    const auto n = m.frames();
    for (const Side up : {Side::left, Side::right}) {
        const auto& c = out.contact[static_cast<std::size_t>(up)];
        for (std::size_t k = 0; k < n;) {
            std::size_t b = k;
            while (b < n && c[b] == Contact::off) ++b;
            if (b > k + 2 && m.time_s[b - 1] - m.time_s[k] >= 0.3) { // its middle half: the body has arrived and does not yet leave
                Series here;
                for (std::size_t f = k + (b - k) / 4; f < b - (b - k) / 4; ++f)
                    if (std::isfinite(a.still[f]) && std::abs(a.span[f]) > 0.12)
                        here.push_back((a.still[f] - (up == Side::left ? 0.0 : 1.0)) * a.span[f]);
                if (!here.empty()) {
                    ++all;
                    if (std::abs(signal::median(here)) <= most) ++kept, metres.insert(metres.end(), here.begin(), here.end());
                }
            }
            k = std::max(b, k + 1);
        }
    }
    if (metres.size() < 10 || 2 * kept < all) return std::nullopt;
    return std::clamp(signal::median(metres), -most, most);
}

/// The outline of the feet on the ground against the extrapolated body centre (Hof 2005), in half widths; points in metres.
/// `half_width`: m, of the narrowest way across it.
Value base_margin(const Motion& m, const Measures& out, std::size_t f, const Vec3& centre, const Vec3& speed, double& half_width) {
    std::vector<Vec2> points;
    for (const Side s : {Side::left, Side::right}) {
        if (out.contact[static_cast<std::size_t>(s)][f] == Contact::off) continue;
        const Vec3 &heel = m.m[f][index_of(on(s, left_heel))], &toe = m.m[f][index_of(on(s, left_toe))];
        const Vec2 h(heel.x(), heel.z()), d = Vec2(toe.x(), toe.z()) - h;
        if (d.norm() < 0.05) continue;
        const Vec2 side = Vec2(-d.y(), d.x()).normalized() * 0.035; // half the width of a foot
        for (const Vec2& p : {h, Vec2(h + 0.72 * d)}) points.push_back(p + side), points.push_back(p - side);
    }
    if (points.size() < 4) return Absent::foot_off;
    // Convex hull (Andrew 1979).
    std::sort(points.begin(), points.end(),
              [](const Vec2& a, const Vec2& b) { return a.x() < b.x() || (a.x() == b.x() && a.y() < b.y()); });
    auto cross = [](const Vec2& o, const Vec2& a, const Vec2& b) {
        return (a.x() - o.x()) * (b.y() - o.y()) - (a.y() - o.y()) * (b.x() - o.x());
    };
    std::vector<Vec2> hull(2 * points.size());
    std::size_t k = 0;
    for (std::size_t q = 0; q < points.size(); hull[k++] = points[q++])
        while (k >= 2 && cross(hull[k - 2], hull[k - 1], points[q]) <= 0) --k;
    for (std::size_t q = points.size() - 1, least = k + 1; q-- > 0; hull[k++] = points[q])
        while (k >= least && cross(hull[k - 2], hull[k - 1], points[q]) <= 0) --k;
    hull.resize(k - 1);
    const double l = std::max(0.3, centre.y());
    const Vec2 x = Vec2(centre.x(), centre.z()) + Vec2(speed.x(), speed.z()) / std::sqrt(gravity / l);
    double nearest = 1e9, half = 1e9;
    for (std::size_t q = 0; q < hull.size(); ++q) {
        const Vec2 &a = hull[q], d = hull[(q + 1) % hull.size()] - a;
        if (d.norm() < 1e-6) continue;
        const Vec2 inward = Vec2(-d.y(), d.x()).normalized();
        nearest = std::min(nearest, (x - a).dot(inward));
        double width = 0;
        for (const auto& p : hull) width = std::max(width, (p - a).dot(inward));
        half = std::min(half, 0.5 * width);
    }
    half_width = half;
    return nearest / half;
}

Sample sample(double v, double own, double clip, double person) {
    Sample s{v, std::sqrt(own * own + clip * clip + person * person), Absent::none};
    s.own = static_cast<float>(own);
    s.clip = static_cast<float>(clip);
    s.person = static_cast<float>(person);
    return s;
}

MeasureSeries column(const char* id, std::optional<Side> side, std::vector<Sample> samples) {
    const MeasureInfo& info = *measure_info(id);
    return {info.id, info.unit, side, std::move(samples)};
}

} // namespace

namespace {

/// The body centre over the feet: shares of weight, shifts, heel against ball, margin of balance, sway.
class Weighing {
public:
    Weighing(const Motion& m, Sex sex, Measures& out) : m_(m), out_(out), n_(m.frames()), full_(!m.from_pictures()) {
        find_centre(sex);
        find_speeds();
        feet_ = standing_feet(m, out);
        own_ = own_noise_.empty() ? 0 : signal::median(own_noise_);
        along_ = project(m, feet_, out.centre, acc_, std::hypot(masses_spread, person_));
        if (!full_) offset_ = calibration(m, out, along_);
        tilt_ = along_.tilt * (offset_ ? 0.35 : 1);
    }

    void run() {
        shares();
        front();
        shifts();
        heels();
        margin();
        sway();
    }

private:
    void find_centre(Sex sex) {
        const auto w = centre_weights(SegmentTable::of(sex));
        out_.centre.assign(n_, Vec3::Zero());
        for (std::size_t f = 0; f < n_; ++f) {
            if (!m_.valid[f]) continue;
            Vec3 at = Vec3::Zero();
            double mine = 0, bias = 0;
            for (std::size_t p = 0; p < w.size(); ++p) {
                at += w[p] * m_.m[f][p];
                mine += std::pow(w[p] * m_.sigma[f][p].across, 2);
                bias += std::pow(w[p] * m_.sigma[f][p].person, 2);
            }
            out_.centre[f] = at;
            own_noise_.push_back(std::sqrt(mine));
            person_ = std::max(person_, std::sqrt(bias));
            for (std::size_t a = 0; a < 3; ++a) c_[a][f] = at[static_cast<Eigen::Index>(a)];
        }
    }

    void find_speeds() {
        for (std::size_t a = 0; a < 3; ++a) {
            const Series slow = signal::low_pass(m_.time_s, c_[a], 2.0);
            speed_[a] = signal::derivative(m_.time_s, slow);
            acc_[a] = signal::derivative(m_.time_s, speed_[a]);
        }
    }

    std::vector<Sample> course(const Series& share, Absent hidden, double noise) const {
        std::vector<Sample> raw(n_);
        for (std::size_t f = 0; f < n_; ++f) {
            Sample& s = raw[f];
            s.absent = !m_.valid[f] ? nobody(m_, f) : hidden;
            if (!s.present()) continue;
            if (std::abs(along_.span[f]) < (m_.from_pictures() ? least_ : 0.12)) {
                s.absent = Absent::feet_close;
                continue;
            }
            s = sample(share[f] - offset_.value_or(0) / along_.span[f], noise / std::abs(along_.span[f]), tilt_ / std::abs(along_.span[f]),
                       along_.sigma[f]);
            if (s.sigma > most_) s = {0, 0, Absent::view};
        }
        return raw;
    }

    /// Whether a foot that is taken for lifted may as well stand elsewhere: the body is not over the other one; or it is seen obliquely,
    /// where higher in the picture is farther off as well, and nothing else tells.
    bool doubted(const Sample& raw, double all, std::size_t f) const {
        if (full_) return false;
        if (raw.present()) return std::abs(raw.value - all) > not_over + 2 * raw.sigma;
        return std::abs(std::remainder(m_.azimuth[f], std::numbers::pi / 2)) > oblique;
    }

    std::vector<Sample> shown(std::vector<Sample> raw) const {
        for (std::size_t f = 0; f < n_; ++f) {
            if (raw[f].absent == Absent::view || !m_.valid[f]) continue;
            const bool l = out_.contact[0][f] == Contact::off, r = out_.contact[1][f] == Contact::off;
            if (l && r) {
                raw[f] = {0, 0, Absent::foot_off};
            } else if (l || r) { // a lifted foot carries nothing
                const double all = l ? 0.0 : 1.0;
                if (doubted(raw[f], all, f))
                    raw[f] = {0, 0, Absent::view};
                else
                    raw[f] = sample(all, 0.02, 0, raw[f].present() ? 0.5 * raw[f].sigma : 0.05);
            } else if (raw[f].present()) {
                raw[f].value = std::clamp(raw[f].value, 0.0, 1.0);
            }
        }
        return raw;
    }

    void shares() {
        // The correction by the acceleration of the body centre carries its noise: twice differentiated below 2 Hz, times height over g.
        const double shaken = 3 * own_;
        const auto left_raw = course(along_.moving, full_ || m_.has_x ? Absent::none : Absent::view, shaken);
        out_.series["weight.left"] = column("weight.left", std::nullopt, shown(left_raw));
        out_.series["weight.left_raw"] = column("weight.left_raw", std::nullopt, left_raw);
        for (const Side s : {Side::left, Side::right}) {
            std::vector<Sample> one = full_ || m_.has_x ? out_.series["weight.left"].samples : course(along_.still, Absent::none, own_);
            for (auto& v : one)
                if (v.present()) v.value = std::clamp(s == Side::left ? v.value : 1 - v.value, 0.0, 1.0);
            out_.series[s == Side::left ? "weight.foot.left" : "weight.foot.right"] = column("weight.foot", s, std::move(one));
        }
    }

    void front() {
        const auto front_raw = course(along_.moving, full_ || m_.has_z ? Absent::none : Absent::view, 3 * own_);
        MeasureSeries front = column("weight.front", std::nullopt, shown(front_raw));
        for (std::size_t f = 0; f < n_; ++f) {
            auto& s = front.samples[f];
            if (!s.present()) continue;
            const Vec3 line = feet_[0][f] - feet_[1][f];
            const double ahead = line.x() * std::sin(m_.facing[f]) + line.z() * std::cos(m_.facing[f]);
            if (std::abs(ahead) < least_) // side by side: no foot is the front one
                s = {0, 0, Absent::feet_close};
            else
                s.value = ahead > 0 ? s.value : 1 - s.value;
        }
        out_.series["weight.front"] = std::move(front);
    }

    void shifts() {
        out_.shifts_are_front = !m_.has_x;
        const auto still = course(along_.still, Absent::none, own_);
        out_.series["weight.along_raw"] = column("weight.along_raw", std::nullopt, still);
        Series y(n_, NAN), noise, wander;
        for (std::size_t f = 0; f < n_; ++f)
            if (still[f].present()) {
                y[f] = still[f].value;
                noise.push_back(still[f].own);
                wander.push_back(still[f].person);
            }
        // About half of what stays with the person changes with the posture, and so with the shift.
        out_.shifts = noise.empty() ? std::vector<Shift>{} : find_shifts(m_.time_s, y, signal::median(noise), 0.5 * signal::median(wander));
    }

    void heels() {
        // Heel against ball of each foot.
        const double turned = measure_info("weight.heel")->turned_deg.value_or(25) * 3.14159265358979 / 180;
        for (const Side s : {Side::left, Side::right}) {
            std::vector<Sample> heel(n_, Sample{0, 0, Absent::view});
            for (std::size_t f = 0; f < n_; ++f) on_the_heel(s, f, turned, heel[f]);
            out_.series[s == Side::left ? "weight.heel.left" : "weight.heel.right"] = column("weight.heel", s, std::move(heel));
        }
    }

    void on_the_heel(Side s, std::size_t f, double turned, Sample& heel) const {
        if (!m_.valid[f]) heel.absent = nobody(m_, f);
        if (!m_.valid[f] || (!full_ && std::abs(std::sin(m_.azimuth[f])) < std::cos(turned))) return;
        if (!m_.vertical_known) {
            heel.absent = Absent::no_vertical;
            return;
        }
        if (out_.contact[static_cast<std::size_t>(s)][f] == Contact::off) {
            heel.absent = Absent::foot_off;
            return;
        }
        const Vec3 &h = m_.m[f][index_of(on(s, left_heel))], &toe = m_.m[f][index_of(on(s, left_toe))];
        Vec3 d = 0.72 * (toe - h), rel = out_.centre[f] - h;
        d.y() = rel.y() = 0;
        if (d.norm() < 0.08) return;
        if (!full_) { // a foot that points out of the picture: its line is not told
            const Vec3 across = Vec3(0, 1, 0).cross(m_.camera_at - h).normalized();
            if (std::abs((toe - h).dot(across)) < *measure_info("weight.heel")->share * 0.152 * m_.stature) {
                heel.absent = Absent::foreshortened;
                return;
            }
        }
        const double per = 1 / d.norm();
        const auto& p = m_.sigma[f][index_of(on(s, left_heel))];
        heel = sample(1 - rel.dot(d) * per * per, std::hypot(own_, p.across) * per,
                      (m_.camera ? m_.camera->roll.sigma : m_.vertical_sigma) * 0.56 * m_.stature * per,
                      // A camera beside the square side view sees the way between body and foot sideways as well, about 10 cm.
                      std::sqrt(masses_spread * masses_spread + person_ * person_ + p.person * p.person +
                                (full_ ? 0 : std::pow(0.1 * std::cos(m_.azimuth[f]), 2))) *
                          per);
        if (heel.sigma > *measure_info("weight.heel")->most_sigma) heel = {0, 0, Absent::view};
    }

    void margin() {
        std::vector<Sample> margin(n_, Sample{0, 0, full_ ? Absent::no_body : Absent::view});
        for (std::size_t f = 0; f < n_ && full_; ++f) {
            if (!m_.valid[f]) continue;
            auto rate = [&](std::size_t a) { return std::isfinite(speed_[a][f]) ? speed_[a][f] : 0; };
            double half = 0.1;
            const Value v = base_margin(m_, out_, f, out_.centre[f], Vec3(rate(0), rate(1), rate(2)), half);
            margin[f].absent = v.absent;
            if (v.absent != Absent::none) continue;
            // The centre and its speed over the pendulum's own pace both carry the points' noise.
            const double pace = std::sqrt(gravity / std::max(0.3, out_.centre[f].y()));
            margin[f] = sample(v.v, own_ * std::hypot(1, rate_of_noise / pace) / half, 0.01, std::hypot(masses_spread, 0.01) / half);
        }
        out_.series["base.margin"] = column("base.margin", std::nullopt, std::move(margin));
    }

    void sway() {
        std::vector<Sample> sway(n_, Sample{0, 0, Absent::no_neutral});
        const Neutral& u = m_.neutral;
        if (u.source == NeutralSource::quiet_second) {
            double path = 0, time = 0;
            std::size_t last = n_;
            for (std::size_t f = 0; f < n_; ++f) {
                if (m_.time_s[f] < u.from_s || m_.time_s[f] > u.to_s || !m_.valid[f] || !std::isfinite(speed_[0][f]) ||
                    !std::isfinite(speed_[2][f]))
                    continue;
                if (last < n_) {
                    const Vec3 v(speed_[0][f], 0, speed_[2][f]), right(std::cos(m_.start_azimuth), 0, -std::sin(m_.start_azimuth));
                    path += (full_ ? v.norm() : std::abs(v.dot(right))) * (m_.time_s[f] - m_.time_s[last]);
                    time += m_.time_s[f] - m_.time_s[last];
                }
                last = f;
            }
            for (std::size_t f = 0; f < n_; ++f)
                if (time > 0.5 && m_.time_s[f] >= u.from_s && m_.time_s[f] <= u.to_s)
                    sway[f] = sample(1000 * path / time, 1000 * own_ * 2.0, 0, 1);
        }
        out_.series["sway.speed"] = column("sway.speed", std::nullopt, std::move(sway));
    }

    const Motion& m_;
    Measures& out_;
    const std::size_t n_;
    const bool full_; // points in metres
    const double least_ = *measure_info("weight.left")->least_m, most_ = *measure_info("weight.left")->most_sigma;
    std::array<Series, 3> c_{Series(n_, NAN), Series(n_, NAN), Series(n_, NAN)}, speed_, acc_; // of the body centre
    Series own_noise_;
    double own_ = 0, person_ = 0, tilt_ = 0;
    Feet feet_;
    Along along_;
    std::optional<double> offset_;
};

} // namespace

void weigh(const Motion& m, Sex sex, Measures& out) {
    Weighing(m, sex, out).run();
}

} // namespace bevel
