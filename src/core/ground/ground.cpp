#include "core/clip_length.h"
#include "core/ground/derive.h"
#include "core/ground/grounding.h"
#include <algorithm>

namespace bevel {
namespace grounding {
namespace {

using signal::Series;

/// Applies f to every coordinate of every point as a series over time.
template <class F> void each_coordinate(Motion& m, F f) {
    const auto n = m.frames();
    Series y(n);
    for (std::size_t k = 0; k < point_count; ++k)
        for (Eigen::Index axis = 0; axis < 3; ++axis) {
            for (std::size_t i = 0; i < n; ++i) y[i] = m.valid[i] ? m.m[i][k][axis] : NAN;
            f(y, [&](std::size_t i) -> double& { return m.m[i][k][axis]; });
        }
    for (std::size_t k = 0; k < 4 && !m.foot_place.empty(); ++k)
        for (Eigen::Index axis = 0; axis < 2; ++axis) {
            for (std::size_t i = 0; i < n; ++i) y[i] = m.valid[i] ? m.foot_place[i][k][axis] : NAN;
            f(y, [&](std::size_t i) -> double& { return m.foot_place[i][k][axis]; });
        }
}

} // namespace

void fill(Motion& m) {
    if (std::all_of(m.valid.begin(), m.valid.end(), [](bool v) { return v; })) return;
    std::vector<bool> filled = m.valid;
    each_coordinate(m, [&](const Series& y, auto get) {
        const Series f = signal::fill_gaps(m.time_s, y, 0.25);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (!m.valid[i] && std::isfinite(f[i])) {
                get(i) = f[i];
                filled[i] = true;
            }
    });
    for (std::size_t i = 0; i < m.frames(); ++i)
        if (filled[i] && !m.valid[i])
            for (std::size_t k = 0; k < point_count; ++k) {
                m.sigma[i][k] = i > 0 ? m.sigma[i - 1][k] : PointSigma{0.02F, 0.02F, 0.1F, 0, 0};
                m.sigma[i][k].across *= 1.5F;
                m.sigma[i][k].up *= 1.5F;
            }
    m.valid = filled;
}

void filter(Motion& m, double cutoff) {
    each_coordinate(m, [&](const Series& y, auto get) {
        const Series f = signal::low_pass(m.time_s, y, cutoff);
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) get(i) = f[i];
    });
}

} // namespace grounding

namespace {

using namespace grounding;
using signal::Series;

/// Slopes of the back from points that were marked. One camera shows them from the side: within 25 degrees of it.
void slopes_of_back(Motion& m, const Track& t) {
    m.breaths = t.layers.breaths;
    if (t.layers.extra.empty()) return;
    m.back.assign(m.frames(), {});
    Series length;
    for (const auto& mark : t.layers.extra) {
        const auto frame = mark.first;
        const ExtraPoints& points = mark.second;
        if (frame >= m.frames() || !m.valid[frame]) continue;
        if (m.from_pictures() && std::abs(std::sin(m.azimuth[frame])) < std::cos(25 * deg)) continue;
        const double yaw = m.facing[frame] + m.start_yaw, ahead = m.from_pictures() ? (std::sin(m.azimuth[frame]) > 0 ? -1 : 1) : 0;
        auto slope = [&](Extra from, Extra to) -> std::optional<double> {
            const auto &a = points[static_cast<std::size_t>(from)], &b = points[static_cast<std::size_t>(to)];
            if (!a || !b) return std::nullopt;
            const Vec3 d = *b - *a;
            length.push_back(d.norm());
            if (m.from_pictures()) // pixels, y down, the picture's own tilt taken out
                return std::atan2(ahead * (t.layers.mirrored ? -d.x() : d.x()), -d.y()) / deg -
                       ahead * (m.camera ? m.camera->roll.value : 0) / deg;
            return std::atan2(d.x() * std::sin(yaw) + d.z() * std::cos(yaw), d.y()) / deg;
        };
        m.back[frame] = {slope(tail, low_back), slope(low_back, mid_back), slope(mid_back, c7)};
    }
    // Marks are set to about a hundredth of the body.
    const double mark = m.from_pictures() ? 0.004 * body_height_px(t) : 0.007;
    m.back_sigma = length.empty() ? 0 : 1.414 * mark / signal::median(length) / deg;
}

bool feet_cut(const Track& t, std::size_t seen) {
    if (t.height <= 0) return false;
    std::size_t cut = 0;
    for (const auto& f : t.px)
        if (f && (std::max((*f)[left_heel].y, (*f)[left_toe].y) > t.height || std::max((*f)[right_heel].y, (*f)[right_toe].y) > t.height))
            ++cut;
    return cut * 5 > seen;
}

} // namespace

Body3 Motion::own(std::size_t frame) const {
    const double c = std::cos(facing[frame]), s = std::sin(facing[frame]);
    Body3 out;
    for (std::size_t p = 0; p < point_count; ++p) {
        const Vec3& q = m[frame][p];
        out[p] = Vec3(q.x() * c - q.z() * s, q.y(), q.x() * s + q.z() * c);
    }
    return out;
}

std::string MotionOptions::validate() const {
    if (stature_m && !(*stature_m > 0.8 && *stature_m < 2.5)) return "height";
    if (shoulder_width_m && !(*shoulder_width_m > 0.15 && *shoulder_width_m < 0.7)) return "shoulder width";
    if (cutoff_hz < 0 || cutoff_hz > 50) return "cutoff";
    return {};
}

View guess_view(const Track& track) {
    Series c, s;
    for (const auto& a : rough_azimuth(track)) c.push_back(a.c), s.push_back(a.s);
    const Azimuth a = Azimuth{signal::median(c), signal::median(s)}.unit();
    if (std::abs(a.c) > 0.42 && std::abs(a.c) < 0.906) return View::oblique;
    if (std::abs(a.c) >= 0.906) return a.c > 0 ? View::front : View::back;
    return a.s > 0 ? View::left : View::right;
}

Result<Motion> make_motion(const Track& raw, const MotionOptions& options) {
    if (const auto bad = options.validate(); !bad.empty()) return fail(Code::bad_value, bad);
    if (raw.frames() < 10) return fail(Code::cannot_judge, "too_short");
    const bool metres = std::any_of(raw.m.begin(), raw.m.end(), [](const auto& f) { return f.has_value(); });
    for (std::size_t i = 1; i < raw.frames(); ++i)
        if (!(raw.time_s[i] > raw.time_s[i - 1])) return fail(Code::cannot_judge, "times"); // NaN too
    const Track t = derive(raw);
    if (t.frames() < 10) return fail(Code::cannot_judge, "too_short");
    if (!(t.time_s.back() - t.time_s.front() <= longest_clip_s)) return fail(Code::cannot_judge, "too_long");
    const bool pixels = std::any_of(t.px.begin(), t.px.end(), [](const auto& f) { return f.has_value(); });
    const bool full = options.view ? *options.view == View::three_d : metres && !pixels;
    if (full && !metres) return fail(Code::cannot_judge, "view_needed");
    if (!full && !pixels) return fail(Code::cannot_judge, "no_body");
    const auto seen = static_cast<std::size_t>(full ? std::count_if(t.m.begin(), t.m.end(), [](const auto& f) { return f.has_value(); })
                                                    : std::count_if(t.px.begin(), t.px.end(), [](const auto& f) { return f.has_value(); }));
    const auto& l = raw.layers; // a part of a long file is held against its own length
    const auto meant = static_cast<std::size_t>(std::count_if(raw.time_s.begin(), raw.time_s.end(), [&](double s) {
        return !(l.trim_from_s && s < *l.trim_from_s) && !(l.trim_to_s && s >= *l.trim_to_s);
    }));
    if (seen < 10 || seen * 4 < meant) return fail(Code::cannot_judge, "no_body");
    if (!full && feet_cut(t, seen)) return fail(Code::cannot_judge, "feet_cut_off");
    auto made = full ? from_metres(t, options) : from_picture(t, options);
    if (!made) return made;
    Motion& m = *made;
    if (m.from_pictures()) {
        m.jitter = found_jitter;
        if (options.filter) filter(m, options.cutoff_hz > 0 ? options.cutoff_hz : 4.0);
    }
    slopes_of_back(m, t);
    find_neutral(m, options);
    m.neutral.own = options.own.seen_from(m.view);
    m.neutral.depth = options.own.depth, m.neutral.twist = options.own.twist, m.neutral.bend = options.own.bend;
    if (options.errors) finish_shared(m);
    return made;
}

Motion stretch_of(const Motion& m, double from_s, double to_s, const PersonNeutral& own) {
    const auto at = [&](double t) {
        return static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), t) - m.time_s.begin());
    };
    const std::size_t from = at(from_s), to = std::max(from, at(to_s));
    const auto cut = [&](const auto& all) {
        using V = std::decay_t<decltype(all)>;
        const auto n = std::min(to, all.size()), first = std::min(from, n);
        return V(all.begin() + static_cast<std::ptrdiff_t>(first), all.begin() + static_cast<std::ptrdiff_t>(n));
    };
    Motion out;
    out = m;
    out.time_s = cut(m.time_s), out.m = cut(m.m), out.sigma = cut(m.sigma), out.valid = cut(m.valid);
    if (!m.otherwise.empty()) out.otherwise = cut(m.otherwise);
    out.facing = cut(m.facing), out.azimuth = cut(m.azimuth), out.foot_place = cut(m.foot_place), out.back = cut(m.back);
    out.grid.clear();
    std::vector<std::size_t> kept;
    for (std::size_t g = 0; g < m.grid.size(); ++g)
        if (m.grid[g] >= from && m.grid[g] < to) kept.push_back(g), out.grid.push_back(m.grid[g] - from);
    for (std::size_t e = 0; e < m.shared.size(); ++e) {
        out.shared[e].moved.clear();
        for (const auto g : kept)
            if (g < m.shared[e].moved.size()) out.shared[e].moved.push_back(m.shared[e].moved[g]);
    }
    if (!m.from_pictures() || out.time_s.empty()) return out;
    double c = 0, s = 0;
    for (std::size_t i = 0; i < out.frames(); ++i)
        if (out.valid[i]) c += std::cos(out.azimuth[i]), s += std::sin(out.azimuth[i]);
    look_from(out, std::atan2(s, c));
    // A posture that was seen from the front says nothing of what is ahead, and the other way round.
    if (out.has_x != m.has_x) out.neutral.source = NeutralSource::proportions;
    out.neutral.own = own.seen_from(out.view);
    return out;
}

Result<Motion> ground(std::span<const Shot> shots, const MotionOptions& options) {
    if (shots.size() != 1) return fail(Code::cannot_judge, shots.empty() ? "no_body" : "one_camera");
    return make_motion(shots.front().track, options);
}

} // namespace bevel
