#include "core/ground/derive.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <map>

namespace bevel {
namespace {

struct OldOffset {
    double along, across, spread;
};
#include "core/ground/offsets.inc"
#include "core/ground/offsets_v1.inc"

using signal::Series;
/// Of the spread of single pictures, on which the offsets are fitted, smoothing along a clip leaves so much (median over joints of the
/// fitted figures in clips of 25 frames/s: 0.57).
constexpr double left_by_filter = 0.6;

bool is_left(Point p) {
    return p != nose && p < right_eye;
}
Point left_of_pair(Point p) {
    return p == nose || is_left(p) ? p : mirrored(p);
}

/// The limb that leads to a point, from its beginning to its end.
Vec2 limb(const BodyPx& b, Point p) {
    const Side side = is_left(p) ? Side::left : Side::right;
    auto between = [&](Point from, Point to) { return Vec2(at(b, on(side, to)) - at(b, on(side, from))); };
    switch (left_of_pair(p)) {
    case left_knee:
        return between(left_hip, left_knee);
    case left_ankle:
        return between(left_knee, left_ankle);
    case left_heel:
    case left_toe: // a foot on the floor does not lean with the shank
        return {0, 1};
    case left_elbow:
        return between(left_shoulder, left_elbow);
    case left_wrist:
    case left_thumb:
    case left_index:
    case left_little:
        return between(left_elbow, left_wrist);
    default:
        return mid_px(b, left_shoulder) - mid_px(b, left_hip);
    }
}

Vec2 unit(const Vec2& v) {
    return v.norm() > 1e-6 ? Vec2(v.normalized()) : Vec2(0, 1);
}

/// Slow course of a cue of the azimuth: gaps bridged, faster than half a hertz taken out.
Series slow(const std::vector<double>& t, Series y) {
    y = signal::fill_gaps(t, y, 1e9);
    double last = NAN;
    for (double& v : y)
        if (std::isfinite(v)) {
            last = v;
            break;
        }
    for (double& v : y) last = v = std::isfinite(v) ? v : last;
    return signal::low_pass(t, y, 0.4);
}

} // namespace

double Azimuth::angle() const {
    return std::atan2(s, c);
}
Azimuth Azimuth::unit() const {
    const double n = std::hypot(c, s);
    return n > 1e-9 ? Azimuth{c / n, s / n} : Azimuth{1, 0};
}

double body_height_px(const Track& t) {
    Series tall;
    for (const auto& f : t.px)
        if (f) tall.push_back((mid_px(*f, left_ear) - mid_px(*f, left_ankle)).norm());
    return tall.empty() ? 0 : signal::quantile(tall, 0.95);
}

std::vector<Azimuth> rough_azimuth(const Track& t) {
    const double height = body_height_px(t);
    const auto n = t.frames();
    std::vector<Azimuth> out(n);
    if (height <= 0) return out;
    // Proportions in body heights (ankle to ear = 0.887 of stature); see BodyDims.
    const double shoulders = 0.205 / 0.887, hips = 0.100 / 0.887, face = 0.064 / 0.887, foot = 0.152 / 0.887;
    Series c(n, NAN), s(n, NAN);
    for (std::size_t i = 0; i < n; ++i) {
        if (!t.px[i]) continue;
        const BodyPx& b = *t.px[i];
        auto across = [&](Point l) { return (b[l].x - b[mirrored(l)].x) / height; };
        c[i] = std::clamp((across(left_shoulder) + across(left_hip)) / (shoulders + hips), -1.2, 1.2);
        const double nose_ahead = (b[nose].x - mid_px(b, left_ear).x()) / height / face;
        const double toes_ahead = 0.5 * (b[left_toe].x - b[left_heel].x + b[right_toe].x - b[right_heel].x) / height / foot;
        s[i] = std::clamp(-(0.35 * nose_ahead + 0.65 * toes_ahead), -1.2, 1.2);
    }
    c = slow(t.time_s, std::move(c));
    s = slow(t.time_s, std::move(s));
    for (std::size_t i = 0; i < n; ++i)
        if (std::isfinite(c[i]) && std::isfinite(s[i])) out[i] = {c[i], s[i]};
    return out;
}

std::vector<std::pair<Seen, double>> seen_as(Point p, const Azimuth& azimuth) {
    const Azimuth a = azimuth.unit();
    std::vector<std::pair<Seen, double>> out{{a.c > 0 ? Seen::front : Seen::back, a.c * a.c}};
    const double side = a.s * a.s;
    if (p == nose) {
        out.emplace_back(Seen::near, side);
        return out;
    }
    out.emplace_back(is_left(p) == (a.s > 0) ? Seen::near : Seen::far, side);
    return out;
}

OffsetAxes offset_axes(const BodyPx& b, Point p, Seen seen, const Azimuth& a) {
    OffsetAxes out;
    out.along = unit(limb(b, p));
    out.across = Vec2(-out.along.y(), out.along.x());
    // Which way on the picture: outward from the midline, or where the person faces.
    double right = 0;
    if (seen == Seen::front) right = is_left(p) ? 1 : -1;
    if (seen == Seen::back) right = is_left(p) ? -1 : 1;
    if (seen == Seen::near || seen == Seen::far) right = a.s > 0 ? -1 : 1;
    if (p == nose && (seen == Seen::front || seen == Seen::back))
        out.across.setZero();
    else if (out.across.x() * right < 0)
        out.across = -out.across;
    const Point base = left_of_pair(p);
    if (base == left_hip || base == left_knee || base == left_ankle || base == left_heel || base == left_toe) {
        const Side side = is_left(p) ? Side::left : Side::right;
        const Vec2 thigh = at(b, on(side, left_knee)) - at(b, on(side, left_hip)),
                   shank = at(b, on(side, left_ankle)) - at(b, on(side, left_knee));
        out.bend = std::clamp(std::abs(std::atan2(thigh.x() * shank.y() - thigh.y() * shank.x(), thigh.dot(shank))), 0.0, 1.8);
    }
    return out;
}

const OffsetTable& fitted_offsets() {
    return mean_offsets;
}

double HeadAhead::seen_from(const Azimuth& azimuth) {
    double side = 0;
    for (const auto& [seen, weight] : seen_as(left_shoulder, azimuth)) side += seen == Seen::near || seen == Seen::far ? weight : 0;
    return std::clamp(side, 0.0, 1.0);
}

namespace {

constexpr std::array<Point, 5> head_points{nose, left_eye, right_eye, left_ear, right_ear};

/// Which way is ahead on the picture, square to the trunk; none where the trunk does not show.
std::optional<Vec2> ahead_of(const BodyPx& b, const Azimuth& azimuth, double height) {
    constexpr double least_trunk = 0.12; // of the height
    const Vec2 trunk = mid_px(b, left_shoulder) - mid_px(b, left_hip);
    if (HeadAhead::seen_from(azimuth) <= 0 || trunk.norm() < least_trunk * height) return std::nullopt;
    const Vec2 square = Vec2(-trunk.y(), trunk.x()).normalized();
    return square.x() * (azimuth.s > 0 ? -1 : 1) < 0 ? Vec2(-square) : square;
}

/// Gives the head and shoulders of a frame what the network takes from the way between them, px.
void move_apart(BodyPx& b, const Vec2& ahead, double missing, double side) {
    const auto move = [&](Point p, double share) {
        auto& q = b[static_cast<std::size_t>(p)];
        q.x += share * missing * ahead.x(), q.y += share * missing * ahead.y();
    };
    for (const Point p : head_points) move(p, HeadAhead::of_head);
    for (const Point p : {left_shoulder, right_shoulder}) move(p, HeadAhead::of_head - 1);
    // What is larger by 1 / told is as much less sure; the head's points carry it, the trunk's stay as sure as they are.
    const double more = side * (1 / (HeadAhead::told * HeadAhead::told) - 1);
    for (const Point p : {left_ear, right_ear}) {
        auto& ear = b[static_cast<std::size_t>(p)];
        const double shoulder = b[static_cast<std::size_t>(p == left_ear ? left_shoulder : right_shoulder)].sigma;
        ear.sigma = std::sqrt((1 + more) * ear.sigma * ear.sigma + more * shoulder * shoulder);
    }
}

} // namespace

void put_heads_ahead(Track& t, const std::vector<Azimuth>& azimuth) {
    constexpr double most_back = -0.03, most_ahead = 0.09; // of the height, beyond what is usual; what is beyond that is no head
    constexpr double around_s = 0.5;
    const double height = body_height_px(t);
    std::vector<double> by(t.frames(), NAN);
    for (std::size_t i = 0; i < t.frames(); ++i)
        if (t.px[i])
            if (const auto ahead = ahead_of(*t.px[i], azimuth[i], height))
                by[i] = std::clamp(ahead->dot(mid_px(*t.px[i], left_ear) - mid_px(*t.px[i], left_shoulder)) / height - HeadAhead::usual,
                                   most_back, most_ahead);
    for (std::size_t i = 0, from = 0, to = 0; i < t.frames(); ++i) {
        while (t.time_s[i] - t.time_s[from] > around_s) ++from;
        while (to < t.frames() && t.time_s[to] - t.time_s[i] <= around_s) ++to;
        double sum = 0, n = 0;
        for (std::size_t k = from; k < to; ++k)
            if (std::isfinite(by[k])) sum += by[k], n += 1;
        if (!std::isfinite(by[i]) || n < 1) continue;
        const double mean = sum / n, sure = mean > HeadAhead::at_ease    ? mean - HeadAhead::at_ease
                                            : mean < -HeadAhead::at_ease ? mean + HeadAhead::at_ease
                                                                         : 0;
        const double side = HeadAhead::seen_from(azimuth[i]);
        move_apart(*t.px[i], *ahead_of(*t.px[i], azimuth[i], height), side * sure * (1 / HeadAhead::told - 1) * height, side);
    }
}

void correct_offsets(Track& t, const std::vector<Azimuth>& azimuth, const OffsetTable& offsets) {
    const double height = body_height_px(t);
    for (std::size_t i = 0; i < t.frames(); ++i) {
        if (!t.px[i]) continue;
        const BodyPx raw = *t.px[i];
        for (int k = 0; k < point_count; ++k) {
            const auto p = static_cast<Point>(k);
            auto& q = (*t.px[i])[static_cast<std::size_t>(k)];
            double own = 0, person = 0, own_up = 0, person_up = 0;
            for (const auto& [seen, weight] : seen_as(p, azimuth[i])) {
                const PointOffset& o = offsets[static_cast<std::size_t>(seen)][static_cast<std::size_t>(left_of_pair(p))];
                const OffsetAxes axes = offset_axes(raw, p, seen, azimuth[i]);
                const Vec2 off = height * weight *
                                 ((o.along + o.along_bend * axes.bend) * axes.along + (o.across + o.across_bend * axes.bend) * axes.across);
                q.x -= off.x();
                q.y -= off.y();
                own += weight * o.own_across * o.own_across;
                person += weight * o.person_across * o.person_across;
                own_up += weight * o.own_along * o.own_along;
                person_up += weight * o.person_along * o.person_along;
            }
            // What remains is wider where the network itself is unsure.
            const double unsure = 1 + 1.5 * std::max(0.0, 0.9 - q.visibility);
            q.sigma = height * std::sqrt(own) * left_by_filter * unsure;
            q.bias = height * std::sqrt(person);
            q.sigma_up = height * std::sqrt(own_up) * left_by_filter * unsure;
            q.bias_up = height * std::sqrt(person_up);
        }
    }
}

Track with_layers(const Track& raw) {
    Track t = raw;
    const Layers& l = raw.layers;
    for (const auto& s : l.swaps)
        for (std::size_t i = s.from; i < std::min<std::size_t>(s.to, t.frames()); ++i) {
            if (!t.px[i]) continue;
            const BodyPx b = *t.px[i];
            for (int k = 0; k < point_count; ++k)
                (*t.px[i])[static_cast<std::size_t>(k)] = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
        }
    // Nobody was found, but a person has set every point: a body by hand.
    std::map<std::uint32_t, std::size_t> by_hand;
    for (const auto& e : l.edits)
        if (e.frame < t.frames() && !t.px[e.frame] && !t.m[e.frame]) ++by_hand[e.frame];
    for (const auto& [frame, points] : by_hand)
        if (points >= point_count) t.px[frame].emplace();
    for (const auto& e : l.edits) {
        if (e.frame >= t.frames() || !t.px[e.frame]) continue;
        auto& p = (*t.px[e.frame])[e.point];
        p.x = e.x;
        p.y = e.y;
        p.visibility = 1;
    }
    if (l.steady.size() == t.frames())
        for (std::size_t i = 0; i < t.frames(); ++i) {
            if (!t.px[i]) continue;
            for (auto& p : *t.px[i]) {
                const Vec2 q = l.steady[i].to_steady({p.x, p.y});
                p.x = q.x();
                p.y = q.y();
            }
        }
    if (l.steady.size() == t.frames())
        for (auto& [frame, points] : t.layers.extra) {
            if (frame >= t.frames()) continue;
            for (auto& p : points)
                if (p) p->head<2>() = l.steady[frame].to_steady(p->head<2>());
        }
    for (std::size_t i = 0; i < t.frames(); ++i)
        if ((l.trim_from_s && t.time_s[i] < *l.trim_from_s) || (l.trim_to_s && t.time_s[i] >= *l.trim_to_s)) {
            t.px[i].reset();
            t.m[i].reset();
        }
    if (l.vertical) t.vertical = l.vertical;
    if (!l.mirrored) return t;
    // A mirrored picture: its right is its left, and what was taken for the left side is the right one. Points in metres swap sides too.
    for (std::size_t i = 0; i < t.frames(); ++i) {
        if (t.px[i]) {
            const BodyPx b = *t.px[i];
            for (int k = 0; k < point_count; ++k) {
                auto q = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
                q.x = t.width - q.x;
                (*t.px[i])[static_cast<std::size_t>(k)] = q;
            }
        }
        if (t.m[i]) {
            const Body3 b = *t.m[i];
            for (int k = 0; k < point_count; ++k) {
                Vec3 q = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
                q.x() = -q.x();
                (*t.m[i])[static_cast<std::size_t>(k)] = q;
            }
        }
        if (i < t.m_sigma.size()) {
            const auto s = t.m_sigma[i];
            for (int k = 0; k < point_count; ++k)
                t.m_sigma[i][static_cast<std::size_t>(k)] = s[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
        }
    }
    if (t.vertical) t.vertical->roll = -t.vertical->roll;
    if (t.layers.plan) t.layers.plan->roll = -t.layers.plan->roll;
    return t;
}

void smooth(Track& t, double cutoff_hz) {
    if (t.frames() < 8) return;
    const auto n = t.frames();
    // Stretches without a gap or a cut; a cut throws the whole body to another place from one frame to the next.
    const double height = body_height_px(t);
    std::vector<std::pair<std::size_t, std::size_t>> runs;
    std::size_t last = n;
    for (std::size_t i = 0; i < n; ++i) {
        if (!t.px[i]) continue;
        const bool joined =
            last < n && t.time_s[i] - t.time_s[last] <= 0.25 &&
            (mid_px(*t.px[i], left_hip) - mid_px(*t.px[last], left_hip)).norm() < height * (0.12 + 2.0 * (t.time_s[i] - t.time_s[last]));
        if (joined)
            runs.back().second = i + 1;
        else
            runs.emplace_back(i, i + 1);
        last = i;
    }
    for (const auto& [from, to] : runs) {
        Series time;
        std::vector<std::size_t> frames;
        for (std::size_t i = from; i < to; ++i)
            if (t.px[i]) {
                frames.push_back(i);
                time.push_back(t.time_s[i]);
            }
        Series x(frames.size()), y(frames.size()), w(frames.size());
        for (std::size_t p = 0; p < point_count; ++p) {
            for (std::size_t k = 0; k < frames.size(); ++k) {
                const auto& q = (*t.px[frames[k]])[p];
                x[k] = q.x;
                y[k] = q.y;
                w[k] = 0.05 + 0.95 * q.visibility * q.visibility;
            }
            signal::smooth_weighted(time, w, cutoff_hz, x, y);
            for (std::size_t k = 0; k < frames.size(); ++k) {
                auto& q = (*t.px[frames[k]])[p];
                q.x = x[k];
                q.y = y[k];
            }
        }
    }
}

Track derive(const Track& raw) {
    Track t = with_layers(raw);
    if (!t.model.empty()) {
        const auto azimuth = rough_azimuth(t);
        correct_offsets(t, azimuth);
        put_heads_ahead(t, azimuth);
        smooth(t, 6.0);
    }
    for (auto& f : t.px) {
        if (!f || t.model.size() > 0) continue;
        const double tall = (mid_px(*f, left_ear) - mid_px(*f, left_ankle)).norm();
        for (auto& p : *f)
            if (p.sigma <= 0) p.sigma = std::max(0.5, 0.006 * tall) * (1 + 3 * (1 - p.visibility));
    }
    for (const auto& e : raw.layers.edits) { // a hand is about as sure as 0.4 % of the body
        if (e.frame >= t.frames() || !t.px[e.frame]) continue;
        const Point p = raw.layers.mirrored ? mirrored(e.point) : e.point;
        auto& q = (*t.px[e.frame])[p];
        q.sigma = 0.004 * body_height_px(t);
        q.bias = q.bias_up = 0;
        q.sigma_up = q.sigma;
        const bool steady = raw.layers.steady.size() == t.frames();
        const Vec2 at = steady ? raw.layers.steady[e.frame].to_steady({e.x, e.y}) : Vec2(e.x, e.y);
        q.x = raw.layers.mirrored ? t.width - at.x() : at.x();
        q.y = at.y();
    }
    if (raw.layers.steady.size() == t.frames()) // what the steadying leaves is in every point
        for (std::size_t i = 0; i < t.frames(); ++i) {
            if (!t.px[i]) continue;
            for (auto& p : *t.px[i]) {
                p.sigma = std::hypot(p.sigma, raw.layers.steady[i].sigma);
                if (p.sigma_up > 0) p.sigma_up = std::hypot(p.sigma_up, raw.layers.steady[i].sigma);
            }
        }
    return t;
}

Track drawn_points(const Track& raw) {
    Track t = derive(raw);
    if (raw.layers.mirrored) {
        for (auto& f : t.px)
            if (f)
                for (auto& p : *f) p.x = t.width - p.x;
        if (t.vertical) t.vertical->roll = -t.vertical->roll;
    }
    if (raw.layers.steady.size() == t.frames())
        for (std::size_t i = 0; i < t.frames(); ++i) {
            if (!t.px[i]) continue;
            for (auto& p : *t.px[i]) {
                const Vec2 q = raw.layers.steady[i].to_filmed({p.x, p.y});
                p.x = q.x();
                p.y = q.y();
            }
        }
    return t;
}

void uncorrect_version_1(Track& t) {
    const double height = body_height_px(t);
    if (height <= 0) return;
    Series wide, ahead;
    for (const auto& f : t.px) {
        if (!f) continue;
        const double trunk = (mid_px(*f, left_shoulder) - mid_px(*f, left_hip)).norm();
        if (trunk < 1) continue;
        wide.push_back(((*f)[left_shoulder].x - (*f)[right_shoulder].x) / trunk);
        ahead.push_back(((*f)[nose].x - mid_px(*f, left_ear).x()) / trunk);
    }
    const double w = signal::median(wide);
    const bool side = std::abs(w)<0.30, faces_right = signal::median(ahead)> 0;
    for (auto& f : t.px) {
        if (!f) continue;
        const BodyPx b = *f;
        for (int k = 0; k < point_count; ++k) {
            const auto p = static_cast<Point>(k);
            const bool left = is_left(p), far = side && p != nose && left == faces_right;
            const auto& o = offsets_version_1[!side ? 0U : far ? 2U : 1U][static_cast<std::size_t>(left_of_pair(p))];
            double right = left ? 1 : -1;
            if (side) right = faces_right ? 1 : -1;
            if (!side && w < 0 && std::abs(w) >= 0.48) right = -right;
            if (!side && p == nose) right = 0;
            // Format 1 took the offsets of heel and toe along the shank.
            const Point base = left_of_pair(p);
            const Vec2 along = unit(limb(b, base == left_heel || base == left_toe ? on(left ? Side::left : Side::right, left_ankle) : p));
            auto& q = (*f)[static_cast<std::size_t>(k)];
            q.x += height * (o.along * along.x() + o.across * right);
            q.y += height * o.along * along.y();
        }
    }
    t.model = "full";
    t.model_version = 1;
}

} // namespace bevel
