#include "core/fit/together.h"
#include "core/ground/derive.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

/// A moment between knots: the knot before it, and how far towards the next.
struct Between {
    std::size_t before = 0;
    double u = 0;
};
std::optional<Between> between(const std::vector<double>& knots, double t) {
    if (knots.size() < 2 || t < knots.front() || t > knots.back()) return std::nullopt;
    const auto next = std::upper_bound(knots.begin() + 1, knots.end() - 1, t);
    const auto i = static_cast<std::size_t>(next - knots.begin()) - 1;
    return Between{i, (t - knots[i]) / (knots[i + 1] - knots[i])};
}

/// Cubic through four neighbours (Catmull and Rom 1974).
Body3 on_curve(const std::vector<Body3>& m, const Between& b) {
    const auto i = b.before;
    const Body3 &p0 = m[i == 0 ? 0 : i - 1], &p1 = m[i], &p2 = m[i + 1], &p3 = m[std::min(i + 2, m.size() - 1)];
    const double u = b.u;
    Body3 out;
    for (std::size_t k = 0; k < point_count; ++k)
        out[k] = 0.5 * (2 * p1[k] + u * (p2[k] - p0[k]) + u * u * (2 * p0[k] - 5 * p1[k] + 4 * p2[k] - p3[k]) +
                        u * u * u * (3 * p1[k] - 3 * p2[k] + p3[k] - p0[k]));
    return out;
}

Vec3 turned(const Vec3& v, double yaw) {
    const double c = std::cos(yaw), s = std::sin(yaw);
    return {v.x() * c - v.z() * s, v.y(), v.x() * s + v.z() * c};
}

/// Spread of a moment in own axes.
void state_errors(Motion& m, const FittedBody& body) {
    for (std::size_t i = 0; i < m.frames(); ++i) {
        const auto at = between(body.time_s, m.time_s[i]);
        if (!at || !m.valid[i]) continue;
        const auto& own = body.own[at->u < 0.5 ? at->before : at->before + 1];
        const double yaw = m.start_yaw + m.facing[i], c = std::cos(yaw), s = std::sin(yaw);
        for (std::size_t p = 0; p < point_count; ++p) {
            const Eigen::Matrix3f& v = own[p];
            const double xx = v(0, 0), zz = v(2, 2), xz = v(0, 2);
            m.sigma[i][p] = {static_cast<float>(std::sqrt(std::max(1e-8, c * c * xx - 2 * c * s * xz + s * s * zz))),
                             std::sqrt(std::max(1e-8F, v(1, 1))),
                             static_cast<float>(std::sqrt(std::max(1e-8, s * s * xx + 2 * c * s * xz + c * c * zz))), 0, 0};
        }
    }
}

/// What moves all moments together, as errors that the measures are worked out with.
void share_errors(Motion& m, const FittedBody& body) {
    const bool quiet = m.neutral.source == NeutralSource::quiet_second;
    for (std::size_t f = 0; f < body.factors.size(); ++f) {
        const FitFactor& factor = body.factors[f];
        SharedError e;
        e.what = "fit " + std::to_string(f + 1);
        e.person = factor.person;
        e.stature = m.stature;
        e.shoulder_width = m.neutral.shoulder_width;
        e.neutral = m.neutral.body;
        const auto delta = [&](std::size_t frame) {
            const auto at = between(body.time_s, m.time_s[frame]);
            Body3 d;
            d.fill(Vec3::Zero());
            if (!at) return d;
            const Body3 &a = factor.moved[at->before], &b = factor.moved[at->before + 1];
            for (std::size_t p = 0; p < point_count; ++p) d[p] = turned(a[p] + at->u * (b[p] - a[p]), m.start_yaw + m.facing[frame]);
            return d;
        };
        for (const auto i : m.grid) {
            Body3 moved = m.own(i);
            const Body3 d = delta(i);
            for (std::size_t p = 0; p < point_count; ++p) moved[p] += d[p];
            e.moved.push_back(moved);
        }
        if (quiet) {
            const double middle = 0.5 * (m.neutral.from_s + m.neutral.to_s);
            const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), middle) - m.time_s.begin());
            const Body3 d = delta(std::min(i, m.frames() - 1));
            for (std::size_t p = 0; p < point_count; ++p) e.neutral[p] += d[p];
            if (m.neutral.width_from == From::quiet_stand) e.shoulder_width = (e.neutral[left_shoulder] - e.neutral[right_shoulder]).norm();
        }
        m.shared.push_back(std::move(e));
    }
}

/// Where the first clip's camera stands, seen from the student on every frame: its pictures are what is shown.
void look_from_first(Motion& m, const FittedBody& body) {
    m.camera = body.cameras.front().camera;
    m.azimuth.assign(m.frames(), 0);
    std::vector<double> away;
    for (std::size_t i = 0; i < m.frames(); ++i) {
        const auto at = between(body.time_s, m.time_s[i]);
        if (!at || !m.valid[i]) continue;
        const Vec3 camera = turned(body.cameras.front().at - mid(body.m[at->before], left_hip), m.start_yaw + m.facing[i]);
        m.azimuth[i] = std::atan2(camera.x(), camera.z());
        away.push_back(std::hypot(camera.x(), camera.z()));
    }
    if (away.empty()) return;
    std::nth_element(away.begin(), away.begin() + static_cast<std::ptrdiff_t>(away.size() / 2), away.end());
    m.camera->distance = away[away.size() / 2];
}

} // namespace

Result<Motion> motion_of(const FittedBody& body, const Motion& first, const MotionOptions& options) {
    Track t;
    t.time_s = first.time_s;
    t.px.resize(t.frames());
    t.m.resize(t.frames());
    t.m_sigma.resize(t.frames());
    for (std::size_t i = 0; i < t.frames(); ++i) {
        const auto at = between(body.time_s, t.time_s[i]);
        if (!at || !first.valid[i]) continue;
        t.m[i] = on_curve(body.m, *at);
        for (std::size_t p = 0; p < point_count; ++p) t.m_sigma[i][p] = std::sqrt(static_cast<double>(body.own[at->before][p].trace()) / 3);
    }
    MotionOptions o = options;
    o.view = View::three_d;
    o.filter = false; // the fit is smooth
    o.fitted = true;
    auto made = make_motion(t, o);
    if (!made) return made;
    Motion& m = *made;
    if (m.frames() != first.frames()) return fail(Code::cannot_judge, "apart");
    m.breaths = first.breaths;
    look_from_first(m, body);
    state_errors(m, body);
    if (options.errors) share_errors(m, body);
    return made;
}

namespace {

Result<FitShot> shot_of(const Track& raw, const MotionOptions& options, bool any_view) {
    MotionOptions o = options;
    if (any_view) o.view.reset();
    o.errors = false;
    auto motion = make_motion(raw, o);
    if (!motion) return tl::unexpected(motion.error());
    if (!motion->camera) return fail(Code::cannot_judge, "view_needed");
    return FitShot{derive(raw), std::move(*motion), 0, 0};
}

FitOptions of_height(const FitShot& shot) {
    FitOptions o;
    o.stature_m = shot.motion.stature;
    o.stature_sigma_m = std::max(0.005, shot.motion.stature_sigma);
    return o;
}

void set_clock(FitShot& second, const Clocks& clocks) {
    second.offset_s = clocks.offset_s;
    // The peak is where what all points say meets: each of them wanders (12 pairs through the body finder: off by 0.06 s, most 0.2).
    second.offset_sigma_s = std::max(0.1, 2 * clocks.sigma_s);
}

Result<Clocks> one_performance(const Clocks& c) {
    // Pairs filmed at once gain 0.002 to 0.066 (two of sixteen more than this), two performances of a person 0.052 to 0.25.
    constexpr double most_drift = 0.05;
    return c.drifts <= most_drift ? Result<Clocks>(c) : fail(Code::cannot_judge, "apart");
}

/// At the offset that both heard, if both show one performance there.
Result<Clocks> as_heard(const std::vector<FitShot>& shots, const Clocks& heard) {
    constexpr double least_alike = 0.3; // as of offsets that are sought
    auto c = clocks_at(shots[0].motion, shots[1].motion, heard.offset_s);
    if (!c || c->alike < least_alike) return fail(Code::cannot_judge, "apart");
    c->sigma_s = heard.sigma_s;
    return one_performance(*c);
}

/// Of offsets at which both go together, the one at which one body fits both pictures.
Result<Clocks> likeliest(std::vector<FitShot>& shots, const FitOptions& fo, double most_offset_s, const std::stop_token& stop) {
    const auto offsets = clocks_of(shots[0].motion, shots[1].motion, most_offset_s);
    if (offsets.empty()) return fail(Code::cannot_judge, "apart");
    if (offsets.size() == 1) return one_performance(offsets.front());
    std::vector<std::pair<FitCost, std::size_t>> costs;
    for (std::size_t i = 0; i < offsets.size(); ++i) {
        set_clock(shots[1], offsets[i]);
        const auto cost = fit_cost(shots, fo, stop);
        if (!cost && cost.error().code == Code::cancelled) return tl::unexpected(cost.error());
        if (cost) costs.emplace_back(*cost, i);
    }
    if (costs.empty()) return fail(Code::cannot_judge, "apart");
    std::sort(costs.begin(), costs.end(), [](const auto& a, const auto& b) { return a.first.a_moment < b.first.a_moment; });
    return one_performance(offsets[costs.front().second]);
}

} // namespace

Result<Together> put_together(const Track& first, const Track& second, const MotionOptions& options, double most_offset_s,
                              std::stop_token stop, const std::optional<Clocks>& heard) {
    std::vector<FitShot> shots;
    for (const Track* raw : {&first, &second}) {
        auto shot = shot_of(*raw, options, true);
        if (!shot) return tl::unexpected(shot.error());
        shots.push_back(std::move(*shot));
    }
    const FitOptions fo = of_height(shots[0]);
    const auto clocks = heard ? as_heard(shots, *heard) : likeliest(shots, fo, most_offset_s, stop);
    if (!clocks) return tl::unexpected(clocks.error());
    set_clock(shots[1], *clocks);
    if (heard) shots[1].offset_sigma_s = heard->sigma_s;
    auto body = fit_body(shots, fo, stop);
    if (!body) return tl::unexpected(body.error());
    // Pairs filmed at once leave 0.8 to 1.2 sigma through the body finder, long skirts more; clips of two people or two performances
    // 1.15 to 2.3, and their heights go together by less (tests/data/two, each first clip with its own and with the next one's second).
    constexpr double most_left = 1.25, left_when_unlike = 1.05, plainly_alike = 0.45;
    if (body->misfit > (clocks->alike < plainly_alike ? left_when_unlike : most_left)) return fail(Code::cannot_judge, "apart");
    auto motion = motion_of(*body, shots[0].motion, options);
    if (!motion) return tl::unexpected(motion.error());
    Together out{std::move(*motion), std::move(*body), *clocks};
    out.clocks.offset_s = out.body.offset_s;
    // Points wander on both pictures by themselves: on pairs through the body finder clocks were off by 0.03 s (root mean square).
    out.clocks.sigma_s = heard ? heard->sigma_s : std::hypot(out.body.offset_sigma_s, 0.03);
    return out;
}

Result<FittedBody> fit_alone(const Track& raw, const MotionOptions& options, std::stop_token stop) {
    const auto shot = shot_of(raw, options, false);
    if (!shot) return tl::unexpected(shot.error());
    auto body = fit_body({&*shot, 1}, of_height(*shot), stop);
    if (!body) return body;
    // Adults in ordinary clothes leave 0.46 to 0.85, 1.04 at the worst stretch; whoever is found wrongly 0.93 to 1.6 (tests/data/oblique,
    // odd, two).
    constexpr double most_left = 0.85, most_in_a_stretch = 1.1;
    if (body->misfit > most_left || body->worst > most_in_a_stretch) return fail(Code::cannot_judge, "apart");
    return body;
}

} // namespace bevel
