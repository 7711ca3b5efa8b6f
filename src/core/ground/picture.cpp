#include "core/ground/picture.h"
#include "core/ground/grounding.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel::grounding {
namespace {

using signal::Series;

// What is usual of cameras, with the 1-sigma that a figure carries where nothing tells it better.
constexpr double usual_focal = 0.82, focal_spread = 0.28; // of the longer picture side; relative. Phones: 0.68 to 0.95, others 0.5 to 1.6
constexpr double distortion_spread = 0.02;
constexpr double pitch_spread = 7 * deg, roll_spread = 3 * deg; // propped up somewhere
constexpr double ear_share = 0.887, ear_share_spread = 0.012;   // ankle-to-ear height of stature
// How far the middle of the body is from the middle of the feet, m: it leans out by so much, and may stand anywhere between them (uniform).
constexpr double body_over_feet = 0.07, between_feet = 0.29;

/// Own forward and left in the (r, w) plane of the level frame, for an azimuth against the optical axis.
Vec2 forward_of(double azimuth) {
    return {-std::sin(azimuth), -std::cos(azimuth)};
}
Vec2 left_of(double azimuth) {
    return {std::cos(azimuth), -std::sin(azimuth)};
}
/// Where the columns of the plan's root lead: (log focal, pitch, roll, log height).
std::array<double, 4> steps_of(const CameraPlan& p, const Off& off) {
    const std::array<double, 4> by{off.focal, off.pitch, off.roll, off.floor};
    std::array<double, 4> out{};
    std::size_t k = 0;
    for (std::size_t row = 0; row < 4; ++row)
        for (std::size_t col = 0; col <= row; ++col) out[row] += p.root[k++] * by[col];
    return out;
}
double variance(const CameraPlan& p, std::size_t row) {
    double sum = 0;
    for (std::size_t col = 0, k = row * (row + 1) / 2; col <= row; ++col) sum += p.root[k + col] * p.root[k + col];
    return sum;
}

} // namespace

Camera Picture::prior(const Off& off) const {
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
    Camera c;
    c.cx = w / 2;
    c.cy = h / 2;
    c.focal = t_.focal_px ? Told{*t_.focal_px, 0.02, From::stated} : Told{usual_focal * std::max(w, h), focal_spread, From::assumed};
    c.focal.value *= std::exp(off.focal * c.focal.sigma);
    if (const auto& lens = t_.layers.lens)
        c.distortion = {lens->k + off.distortion * lens->sigma, lens->sigma, From::mark};
    else
        c.distortion = {off.distortion * distortion_spread, distortion_spread, From::assumed};
    if (const auto& plan = t_.layers.plan) { // its errors hang together: a step of each column moves all four
        const auto step = steps_of(*plan, off);
        c.focal = {plan->focal_px * std::exp(step[0]), std::sqrt(variance(*plan, 0)), From::mark};
        c.pitch = {plan->pitch + step[1], std::sqrt(variance(*plan, 1)), From::mark};
        c.roll = {plan->roll + step[2], std::sqrt(variance(*plan, 2)), From::mark};
        c.settle();
        return c;
    }
    const bool known = vertical_known();
    const VerticalOnPicture v = t_.vertical.value_or(VerticalOnPicture{});
    c.roll = known ? Told{v.roll, std::hypot(v.roll_sigma, 0.001), t_.layers.vertical ? From::mark : From::room}
                   : Told{0, roll_spread, From::assumed};
    c.pitch = known ? Told{std::atan(v.slope * c.focal.value), v.slope_sigma * c.focal.value, c.roll.from}
                    : Told{2 * deg, pitch_spread, From::assumed};
    c.roll.value += off.roll * c.roll.sigma;
    c.pitch.value += off.pitch * c.pitch.sigma;
    c.settle();
    return c;
}

Result<bool> Picture::look() {
    const Camera c = prior({});
    if (std::none_of(t_.px.begin(), t_.px.end(), [](const auto& f) { return f.has_value(); })) return fail(Code::cannot_judge, "no_body");
    stature_ = o_.stature_m.value_or(1.70);
    stature_sigma_ = o_.stature_m ? 0.01 : 0.09;
    scale_from_ = o_.stature_m ? From::stated : From::assumed;
    find_standing(c);
    if (standing_.empty()) return fail(Code::cannot_judge, "no_body");
    Series tall;
    for (const auto i : standing_) tall.push_back((mid_px(*t_.px[i], left_ear) - mid_px(*t_.px[i], left_ankle)).norm());
    if (signal::median(tall) < 60) return fail(Code::cannot_judge, "too_small");
    if (t_.layers.scale || t_.layers.plan) scale_from_ = From::mark;
    const Camera full = camera({});
    Series fall;
    for (const auto i : standing_) {
        const Vec2 a = mid_px(*t_.px[i], left_ankle);
        fall.push_back(-full.ray(a.x(), a.y()).y());
    }
    // A ray that falls by less than 6 cm a metre tells depth too badly to be one.
    floor_known_ = signal::median(fall) > 0.06;
    // How far apart in depth two feet stand goes with one over the fall: an error of more than two fifths of it has no linear sigma.
    // Nor do points that a network found: it draws the far foot of a wide stance towards the near one, on the film of a horse stance by 4 %
    // of the body's height, where the lines of the floor would have it 30 cm farther.
    apart_known_ = floor_known_ && signal::median(fall) > 2.5 * full.pitch.sigma && (t_.model.empty() || t_.layers.plan);
    find_walk(full);
    find_rests(full);
    face(full);
    doubt_raised_heels(full);
    return true;
}

/// The frames on which the body is longest from ankle to ear: knees at their straightest, trunk upright.
void Picture::find_standing(const Camera& c) {
    Series tall(t_.frames(), NAN);
    for (std::size_t i = 0; i < t_.frames(); ++i) {
        if (!t_.px[i]) continue;
        const Vec2 ear = mid_px(*t_.px[i], left_ear), ankle = mid_px(*t_.px[i], left_ankle);
        tall[i] = c.ray(ear.x(), ear.y()).y() - c.ray(ankle.x(), ankle.y()).y();
    }
    const double top = signal::quantile(tall, upright_share(t_.time_s));
    std::vector<std::size_t> all;
    for (std::size_t i = 0; i < tall.size(); ++i)
        if (std::isfinite(tall[i]) && tall[i] > 0.985 * top) all.push_back(i);
    const std::size_t step = std::max<std::size_t>(1, all.size() / 40);
    for (std::size_t k = 0; k < all.size(); k += step) standing_.push_back(all[k]);
    // Who sits facing the camera has thighs that point at it all the time; standing, even low, they are never so short for their shanks.
    Series thigh_of_shank;
    for (const auto& f : t_.px)
        if (f)
            for (const Side s : {Side::left, Side::right})
                thigh_of_shank.push_back((at(*f, on(s, left_hip)) - at(*f, on(s, left_knee))).norm() /
                                         std::max(1.0, (at(*f, on(s, left_knee)) - at(*f, on(s, left_ankle))).norm()));
    const bool sits = signal::median(thigh_of_shank) < 0.6;
    // Knees that are bent there show from the side: the sum of the segments stays what it is.
    Series ratio;
    for (const auto i : standing_) {
        const BodyPx& b = *t_.px[i];
        const Vec2 ear = mid_px(b, left_ear), shoulder = mid_px(b, left_shoulder), hip = mid_px(b, left_hip);
        double legs = 0;
        for (const Side s : {Side::left, Side::right}) {
            const double shank = (at(b, on(s, left_knee)) - at(b, on(s, left_ankle))).norm();
            const double thigh =
                sits ? shank : (at(b, on(s, left_hip)) - at(b, on(s, left_knee))).norm(); // as long as the shank (Winter 2009)
            legs = std::max(legs, thigh + shank);
        }
        const double sum = (ear - shoulder).norm() + (shoulder - hip).norm() + legs;
        if (sum > 0) ratio.push_back(std::min(1.0, (ear - mid_px(b, left_ankle)).norm() / sum));
    }
    bent_ = ratio.empty() ? 1 : signal::median(ratio);
    if (bent_ > 0.985) bent_ = 1; // points wander about a straight body too
    // Longest is not always straight: from the front a bend of the knees hides in the depth.
    scale_sigma_ = std::hypot(stature_sigma_ / stature_, std::hypot(ear_share_spread / ear_share, 0.010));
}

Camera Picture::camera(const Off& off) const {
    Camera c = prior(off);
    const double ankle = ankle_share * stature_ + off.floor * ankle_spread;
    Series d, h;
    for (const auto i : standing_) {
        const BodyPx& b = *t_.px[i];
        const Vec2 ear = mid_px(b, left_ear), foot = mid_px(b, left_ankle);
        const double up = c.ray(ear.x(), ear.y()).y(), down = c.ray(foot.x(), foot.y()).y();
        if (up - down < 1e-3) continue;
        const double w = ear_share * stature_ * bent_ * (1 + off.scale * scale_sigma_) / (up - down);
        d.push_back(w);
        h.push_back(ankle - w * down);
    }
    c.distance = d.empty() ? 4 : signal::median(d);
    if (const auto& plan = t_.layers.plan) { // the floor is known: how far the feet are is seen on it
        c.height = {plan->height_m * std::exp(steps_of(*plan, off)[3]), plan->height_m * std::sqrt(variance(*plan, 3)), From::mark};
        Series w;
        for (const auto i : standing_) {
            const Vec2 foot = mid_px(*t_.px[i], left_ankle);
            const double fall = -c.ray(foot.x(), foot.y()).y();
            if (fall > 0.02) w.push_back((c.height.value - ankle_share * stature_) / fall);
        }
        if (!w.empty()) c.distance = signal::median(w);
        return c;
    }
    if (t_.layers.scale) {
        const auto& m = *t_.layers.scale;
        const double px = std::hypot(m.x1 - m.x0, m.y1 - m.y0);
        if (px > 5) c.distance = c.focal.value * m.metres * (1 + off.scale * 0.01) / px;
    }
    c.height = {h.empty() ? 1.1 : std::max(0.15, signal::median(h)), std::hypot(0.03, c.distance * c.pitch.sigma), From::floor};
    if (t_.layers.camera_height_m) c.height = {*t_.layers.camera_height_m + off.floor * 0.02, 0.02, From::mark};
    return c;
}

double Picture::to_sight(std::size_t frame, const Camera& c) const {
    if (!t_.px[frame]) return 0;
    const Vec2 hip = mid_px(*t_.px[frame], left_hip);
    return std::atan(c.ray(hip.x(), hip.y()).x());
}

/// The way the student faces against the camera, and where they plainly do not.
void Picture::face(const Camera& c) {
    axis_.assign(t_.frames(), 0);
    otherwise_.assign(t_.frames(), false);
    const std::vector<Azimuth> cue = rough_azimuth(t_);
    find_facing(c, cue);
    if (o_.one_way && o_.turned.empty()) find_otherwise(c);
}

/// Feet that point another way for a second and more, or a body that shows its other side: neither a turn of the waist nor a foot turned
/// out does that.
void Picture::find_otherwise(const Camera& c) {
    const auto n = t_.frames();
    constexpr double toes_off = 0.6, side_off = 0.9, facing_at_least = 0.5, least_s = 1, least_swapped_s = 0.4, around_s = 0.3;
    const double height = body_height_px(t_), foot = 0.152 / 0.887, both = (0.205 + 0.100) / 0.887;
    if (height <= 0) return;
    Series toes(n, NAN), across(n, NAN);
    for (std::size_t i = 0; i < n; ++i)
        if (t_.px[i]) {
            const BodyPx& b = *t_.px[i];
            across[i] = (b[left_shoulder].x - b[right_shoulder].x + b[left_hip].x - b[right_hip].x) / height / both;
            toes[i] = -0.5 * (b[left_toe].x - b[left_heel].x + b[right_toe].x - b[right_heel].x) / height / foot;
        }
    toes = signal::low_pass(t_.time_s, signal::fill_gaps(t_.time_s, toes, 1), 0.5);
    const auto mark = [&](const auto& off, double least, double around) {
        for (std::size_t a = 0; a < n;) {
            std::size_t b = a;
            while (b < n && (off(b) || !t_.px[b])) ++b;
            if (b > a && t_.time_s[b - 1] - t_.time_s[a] >= least)
                for (std::size_t i = 0; i < n; ++i)
                    if (t_.time_s[i] >= t_.time_s[a] - around && t_.time_s[i] <= t_.time_s[b - 1] + around) otherwise_[i] = true;
            a = std::max(b, a + 1);
        }
    };
    const auto seen = [&](std::size_t i) { return axis_[i] - to_sight(i, c); };
    mark([&](std::size_t i) { return std::isfinite(toes[i]) && std::abs(std::clamp(toes[i], -1.0, 1.0) - std::sin(seen(i))) > toes_off; },
         least_s, 0);
    mark(
        [&](std::size_t i) {
            const double should = std::cos(seen(i));
            return std::abs(should) > facing_at_least && across[i] * should < 0 && std::abs(across[i] - should) > side_off;
        },
        least_swapped_s, around_s);
}

/// Constant where the clip lets it be, else held between the steps.
void Picture::find_facing(const Camera& c, const std::vector<Azimuth>& cue) {
    const auto n = t_.frames();
    std::optional<double> declared;
    if (o_.view) {
        if (*o_.view == View::front) declared = 0;
        if (*o_.view == View::left) declared = 90 * deg;
        if (*o_.view == View::right) declared = -90 * deg;
        if (*o_.view == View::back) declared = 180 * deg;
    }
    if (!o_.turned.empty()) return face_as_known(cue, declared);
    auto planted = [&](double t) { return resting(Side::left, t) && resting(Side::right, t); };
    std::vector<std::size_t> used, any;
    for (double t = t_.time_s.front(); t <= t_.time_s.back(); t += 0.2) {
        const auto i = static_cast<std::size_t>(std::lower_bound(t_.time_s.begin(), t_.time_s.end(), t) - t_.time_s.begin());
        if (i >= n || !t_.px[i]) continue;
        any.push_back(i);
        if (planted(t_.time_s[i])) used.push_back(i);
    }
    if (used.size() < 5) used = any;
    auto middle = [&](std::size_t from, std::size_t to) {
        Series cs, ss;
        for (std::size_t k = from; k < to; ++k) cs.push_back(cue[used[k]].c), ss.push_back(cue[used[k]].s);
        return std::atan2(signal::median(ss), signal::median(cs));
    };
    const double whole = middle(0, used.size());
    std::vector<double> local(used.size());
    Series off;
    for (std::size_t k = 0; k < used.size(); ++k) {
        std::size_t from = k, to = k + 1;
        while (from > 0 && t_.time_s[used[k]] - t_.time_s[used[from - 1]] < 2.5) --from;
        while (to < used.size() && t_.time_s[used[to]] - t_.time_s[used[k]] < 2.5) ++to;
        local[k] = middle(from, to);
        off.push_back(std::abs(wrap(local[k] - whole)));
    }
    // A turn of the waist comes and goes; a turned student stays turned.
    const bool turns = signal::quantile(off, 0.8) > 14 * deg && [&] {
        const auto third = used.size() / 3;
        return third > 5 && std::abs(wrap(middle(0, third) - middle(used.size() - third, used.size()))) > 10 * deg;
    }();
    const double sight = [&] {
        Series v;
        for (const auto i : used) v.push_back(to_sight(i, c));
        return signal::median(v);
    }();
    std::size_t k = 0;
    for (std::size_t i = 0; i < n; ++i) {
        while (k + 1 < used.size() && used[k + 1] <= i) ++k;
        axis_[i] = wrap((turns ? local[k] : whole) + sight);
    }
    // Of exact points, and of the network's (72 drawn people of the fit: median error 3.4 degrees from front and back, 4.1 from the side,
    // with wider tails than the normal law's).
    azimuth_sigma_ = (t_.model.empty() ? 5 : std::abs(std::sin(whole)) > 0.707 ? 8 : 6) * deg;
    // A student who turns is followed by what five seconds show: odd takes are off by 10 to 20 degrees then.
    if (turns) azimuth_sigma_ = std::hypot(azimuth_sigma_, 12 * deg);
    if (!declared) return;
    const double between = wrap(whole - *declared);
    if (std::abs(between) < 50 * deg) return;
    if (std::abs(between) > 130 * deg) {
        mirrored_hint_ = "view"; // the body shows the other side than was declared
        return;
    }
    for (double& a : axis_) a = *declared + sight;
    azimuth_sigma_ = 15 * deg;
    side_doubted_ = true;
}

/// The turns are known; from where the start is seen is what they leave of what the whole clip shows.
void Picture::face_as_known(const std::vector<Azimuth>& cue, std::optional<double> declared) {
    const Camera c = prior({});
    const auto& known = o_.turned;
    const auto yaw = [&](double t) {
        const auto next = std::lower_bound(known.begin(), known.end(), t, [](const auto& k, double v) { return k.first < v; });
        if (next == known.begin()) return known.front().second;
        if (next == known.end()) return known.back().second;
        const auto& before = *std::prev(next);
        const double span = next->first - before.first;
        return before.second + (span > 0 ? (t - before.first) / span : 1) * (next->second - before.second);
    };
    Series cs, ss;
    for (std::size_t i = 0; i < t_.frames(); ++i) {
        if (!t_.px[i]) continue;
        const double at = std::atan2(cue[i].s, cue[i].c) + to_sight(i, c) + yaw(t_.time_s[i]);
        cs.push_back(std::cos(at)), ss.push_back(std::sin(at));
    }
    double start = std::atan2(signal::median(ss), signal::median(cs));
    // Who faces the way the form has it is turned from it by some degrees in each of its parts.
    azimuth_sigma_ = std::hypot((t_.model.empty() ? 5 : 7) * deg, 7 * deg);
    if (declared && std::abs(wrap(start - *declared)) > 50 * deg) {
        start = *declared;
        azimuth_sigma_ = 15 * deg;
    }
    for (std::size_t i = 0; i < t_.frames(); ++i) axis_[i] = wrap(start - yaw(t_.time_s[i]));
}

/// How far a foot points out of the student's direction, rad. Told where it plainly shows; else what is usual.
double Picture::toe_out(std::size_t frame, Side side, const Camera& c, double w) const {
    const BodyPx& b = *t_.px[frame];
    const Vec2 heel = at(b, on(side, left_heel)), toe = at(b, on(side, left_toe));
    const double run = (c.ray(toe.x(), toe.y()).x() - c.ray(heel.x(), heel.y()).x()) * w / (0.152 * stature_);
    const double los = axis_[frame] - to_sight(frame, c), sign = side == Side::left ? 1 : -1;
    const double usual = 12 * deg;
    if (std::abs(std::cos(los)) > 0.7) { // seen from front or back: run = -sin(los - sign * toe_out) turned by the facing
        const double angle = std::asin(std::clamp(-run, -1.0, 1.0));
        const double out = std::cos(los) > 0 ? los - angle : wrap(std::numbers::pi - angle - los) * -1;
        return std::clamp(sign * (std::cos(los) > 0 ? out : -out), -20 * deg, 60 * deg);
    }
    const double shown = std::abs(run);
    return shown < 0.82 ? std::clamp(std::acos(shown), 0.0, 60 * deg) : usual;
}

Body3 Picture::level(std::size_t frame, const Camera& c, double left_w, double right_w, const Off& off) const {
    const BodyPx& px = *t_.px[frame];
    Body3 out;
    const double az = axis_[frame];
    const Vec2 f = forward_of(az), l = left_of(az);
    std::array<Vec2, point_count> ray;
    for (std::size_t p = 0; p < point_count; ++p) ray[p] = c.ray(px[p].x, px[p].y);
    auto put = [&](Point p, double w) {
        const auto i = static_cast<std::size_t>(p);
        out[i] = Vec3(ray[i].x() * w, c.height.value + ray[i].y() * w, w);
    };
    auto mid_ray = [&](Point left) { return Vec2(0.5 * (ray[left] + ray[mirrored(left)])); };
    const BodyDims d = BodyDims::of_stature(stature_);
    const double los = az - to_sight(frame, c);
    const bool sideways = std::abs(std::sin(los)) > 0.707;
    const double middle = 0.5 * (left_w + right_w) + off.depth * std::hypot(body_over_feet, between_feet * (left_w - right_w));
    // How far a pair's left point is nearer or farther than its middle: from the side told by how much of the pair shows, else by the
    // facing.
    auto half_depth = [&](Point left, double width) {
        if (!sideways) return 0.5 * width * l.y();
        const double seen = std::clamp((ray[left].x() - ray[mirrored(left)].x()) * middle / width, -1.0, 1.0);
        return -0.5 * width * std::sqrt(1 - seen * seen) * (std::sin(los) > 0 ? 1 : -1);
    };
    // Depth of a point that lies over another: displaced the way the student faces when seen from the side, sideways when seen from the
    // front.
    auto over = [&](const Vec2& upper, const Vec2& lower, double w) {
        const double shift = (upper.x() - lower.x()) * w;
        const Vec2& along = sideways ? f : l;
        const double side = std::abs(along.x()) > 0.3 ? shift / along.x() : 0;
        return w + std::clamp(side * along.y(), -0.3, 0.3);
    };
    const double hips = half_depth(left_hip, d.hip_width);
    put(left_hip, middle + hips);
    put(right_hip, middle - hips);
    const double top = over(mid_ray(left_shoulder), mid_ray(left_hip), middle);
    const double width = o_.shoulder_width_m.value_or(d.shoulder_width), shoulders = half_depth(left_shoulder, width);
    put(left_shoulder, top + shoulders);
    put(right_shoulder, top - shoulders);
    const double head = over(mid_ray(left_ear), mid_ray(left_shoulder), top);
    const double ears = half_depth(left_ear, 0.086 * stature_);
    put(left_ear, head + ears);
    put(right_ear, head - ears);
    put(nose, head + 0.064 * stature_ * f.y());
    put(left_eye, head + 0.05 * stature_ * f.y() + 0.4 * ears);
    put(right_eye, head + 0.05 * stature_ * f.y() - 0.4 * ears);
    for (const Side s : {Side::left, Side::right}) {
        const double foot = s == Side::left ? left_w : right_w, sign = s == Side::left ? 1 : -1;
        auto P = [&](Point q) { return on(s, q); };
        const double out_angle = toe_out(frame, s, c, foot);
        const Vec2 g = std::cos(out_angle) * f + sign * std::sin(out_angle) * l;
        put(P(left_ankle), foot);
        put(P(left_heel), foot - d.heel_behind * g.y());
        put(P(left_toe), foot + (d.foot_length - d.heel_behind) * g.y());
        // Knee: off the line from hip to ankle the way the foot points.
        const Vec3 &hip = out[P(left_hip)], &ankle = out[P(left_ankle)];
        const Vec2& k = ray[P(left_knee)];
        const double y = c.height.value + k.y() * 0.5 * (hip.z() + ankle.z());
        const double u = std::clamp((hip.y() - y) / std::max(0.1, hip.y() - ankle.y()), 0.0, 1.0);
        const double r0 = hip.x() + u * (ankle.x() - hip.x()), w0 = hip.z() + u * (ankle.z() - hip.z());
        double ahead = 0;
        const double slant = g.x() - k.x() * g.y(); // r moves along the ray when the depth does
        if (std::abs(slant) > 0.6) {
            ahead = (k.x() * w0 - r0) / slant;
        } else { // from front and back the bend hides in the depth: what the thigh lacks of its length
            const double seen = std::hypot(k.x() * w0 - hip.x(), hip.y() - y);
            const double lacks = std::sqrt(std::max(0.0, d.thigh * d.thigh - seen * seen));
            ahead = std::max(0.0, lacks * 0.8);
        }
        put(P(left_knee), w0 + std::clamp(ahead, -0.1, 0.5) * g.y());
        const double shoulder = out[P(left_shoulder)].z();
        const double reach = 0.5 * (d.upper_arm + d.forearm) * 0.8;
        put(P(left_elbow), shoulder + 0.15 * reach * f.y());
        for (const Point h : {left_wrist, left_thumb, left_index, left_little}) put(P(h), 0.5 * (shoulder + top) + reach * f.y());
    }
    return out;
}

std::array<PointSigma, point_count> Picture::sigma(std::size_t frame, const Camera& c, double w) const {
    // Along the line of sight, m: how far a part may be from where it is taken to be, given the posture that shows. The part that the
    // whole clip shares (feet, body over the feet) is told apart in the shared errors.
    const double los = axis_[frame] - to_sight(frame, c);
    const bool sideways = std::abs(std::sin(los)) > 0.707;
    std::array<PointSigma, point_count> out;
    for (int k = 0; k < point_count; ++k) {
        const auto p = static_cast<Point>(k);
        const auto& q = (*t_.px[frame])[static_cast<std::size_t>(k)];
        double depth = 0.05;
        switch (p == nose || p < right_eye ? p : mirrored(p)) {
        case left_ankle:
        case left_heel:
        case left_toe:
            depth = foot_depth_sigma(p < right_eye ? Side::left : Side::right, t_.time_s[frame]);
            break;
        case left_knee: // from the front its depth rests on how much of the thigh shows
            depth = sideways ? 0.05 : 0.12;
            break;
        case left_hip: // a turn of the pelvis by 15 degrees that the front does not show
            depth = 0.06;
            break;
        case left_shoulder:
            depth = sideways ? 0.03 : 0.05;
            break;
        case left_elbow:
            depth = 0.17;
            break;
        case left_wrist:
        case left_thumb:
        case left_index:
        case left_little: // anywhere within an arm's reach
            depth = 0.32;
            break;
        default:
            depth = 0.04;
        }
        const double per = w / c.focal.value;
        const double up = q.sigma_up > 0 ? q.sigma_up : q.sigma, bias_up = q.bias_up > 0 ? q.bias_up : q.bias;
        out[static_cast<std::size_t>(k)] = {static_cast<float>(std::max(q.sigma, 0.2) * per), static_cast<float>(std::max(up, 0.2) * per),
                                            static_cast<float>(depth), static_cast<float>(q.bias * per), static_cast<float>(bias_up * per)};
    }
    return out;
}

std::array<Vec2, 4> Picture::foot_place(std::size_t frame, const Camera& c) const {
    std::array<Vec2, 4> out;
    const double w = c.distance;
    const std::array<Point, 4> which{left_heel, left_toe, right_heel, right_toe};
    for (std::size_t k = 0; k < 4; ++k) {
        const auto& p = (*t_.px[frame])[which[k]];
        const double near = which[k] == left_heel || which[k] == left_toe ? left_of(axis_[frame]).y() : -left_of(axis_[frame]).y();
        out[k] = c.ray(p.x, p.y) * (w + 0.075 * stature_ * near);
    }
    return out;
}

} // namespace bevel::grounding
