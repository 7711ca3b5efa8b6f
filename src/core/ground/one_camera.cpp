// One camera: the body in the room, and what the clip would be were one figure of the camera off.
#include "core/ground/derive.h"
#include "core/ground/grounding.h"
#include "core/ground/picture.h"
#include <algorithm>
#include <cmath>
#include <numeric>

namespace bevel::grounding {
namespace {

using signal::Series;

/// From the level frame to the room: forward and left of the student at the start.
struct ToRoom {
    double c, s; // of the start azimuth against the optical axis
    Vec3 origin = Vec3::Zero();
    Vec3 operator()(const Vec3& p) const { return Vec3(p.x() * c - p.z() * s, p.y(), -p.z() * c - p.x() * s) - origin; }
};

} // namespace

void look_from(Motion& m, double usual) {
    m.has_x = std::abs(std::cos(usual)) >= 0.707;
    m.has_z = !m.has_x;
    const double to_axis = std::abs(wrap(2 * usual) / 2); // distance to front or back
    if (to_axis > 25 * deg && to_axis < 65 * deg)
        m.view = View::oblique;
    else if (m.has_x)
        m.view = std::cos(usual) > 0 ? View::front : View::back;
    else
        m.view = std::sin(usual) > 0 ? View::left : View::right;
}

namespace {

Motion begun(const Track& t, const Picture& picture) {
    Motion m;
    const auto n = t.frames();
    m.time_s = t.time_s;
    m.rate = signal::median_rate(m.time_s);
    m.m.resize(n);
    m.sigma.resize(n);
    m.valid.assign(n, false);
    m.otherwise.assign(n, false);
    m.foot_place.assign(n, {});
    m.facing.assign(n, 0);
    m.azimuth.assign(n, 0);
    m.stature = picture.stature();
    m.stature_sigma = picture.stature_sigma();
    m.scale_from = picture.scale_from();
    m.floor_known = picture.floor_known();
    m.apart_known = picture.apart_known();
    m.vertical_known = picture.vertical_known();
    m.facing_sigma = picture.azimuth_sigma();
    m.mirrored_hint = picture.mirrored_hint();
    m.side_doubted = picture.side_doubted();
    m.camera = picture.camera({});
    m.vertical_sigma = std::hypot(m.camera->roll.sigma, 0.5 * m.camera->pitch.sigma);
    m.start_azimuth = picture.azimuth().front();
    return m;
}

/// Where the feet are at first becomes the room's origin.
void settle_origin(Motion& m, ToRoom& room) {
    Series x0, z0;
    for (std::size_t i = 0; i < m.frames() && x0.size() < 15; ++i)
        if (m.valid[i]) {
            const Vec3 a = mid(m.m[i], left_ankle);
            x0.push_back(a.x());
            z0.push_back(a.z());
        }
    room.origin = Vec3(signal::median(x0), 0, signal::median(z0));
    for (auto& body : m.m)
        for (auto& p : body) p -= room.origin;
    m.camera_at = room(Vec3(0, m.camera->height.value, 0));
}

/// The side the student is seen from: as it is in the middle of the clip; of who is known to turn, as at the start.
double usual_azimuth(const Motion& m, bool turns) {
    if (const auto first = std::find(m.valid.begin(), m.valid.end(), true); turns && first != m.valid.end())
        return m.azimuth[static_cast<std::size_t>(first - m.valid.begin())];
    const double middle = m.azimuth[m.frames() / 2];
    Series az;
    for (std::size_t i = 0; i < m.frames(); ++i)
        if (m.valid[i]) az.push_back(wrap(m.azimuth[i] - middle));
    return middle + signal::median(az);
}

/// The network tells the head's way forward too small, of one person by more than of another (HeadAhead).
SharedError head_ahead(const Motion& m) {
    SharedError e;
    e.what = "head";
    e.person = true;
    e.stature = m.stature;
    for (const auto i : m.grid) {
        Body3 delta;
        delta.fill(Vec3::Zero());
        if (m.valid[i]) {
            const Body3 own = m.own(i);
            const Vec3 trunk = mid(own, left_shoulder) - mid(own, left_hip), head = mid(own, left_ear) - mid(own, left_shoulder);
            const double tall = std::hypot(trunk.y(), trunk.z());
            const double ahead = tall > 0 ? (head.z() * trunk.y() - head.y() * trunk.z()) / tall : 0;
            const double seen = HeadAhead::seen_from({std::cos(m.azimuth[i]), std::sin(m.azimuth[i])});
            const double off = seen * (ahead - HeadAhead::usual * 0.887 * m.stature) * HeadAhead::told_sigma / HeadAhead::told;
            const Vec3 forward(std::sin(m.facing[i]), 0, std::cos(m.facing[i]));
            for (const Point p : {nose, left_eye, right_eye, left_ear, right_ear}) delta[p] = HeadAhead::of_head * off * forward;
            for (const Point p : {left_shoulder, right_shoulder}) delta[p] = (HeadAhead::of_head - 1) * off * forward;
        }
        e.moved.push_back(delta);
    }
    return e;
}

/// The clip as it would be were one figure off by one sigma; what the filter takes out is the same in both and drops out.
void share_errors(Motion& m, const Track& t, const Picture& picture, const Picture::Depths& depth, const ToRoom& room) {
    for (double s = m.time_s.front(); s <= m.time_s.back(); s += grid_step) {
        const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s) - m.time_s.begin());
        if (i < m.frames() && t.px[i] && (m.grid.empty() || i > m.grid.back())) m.grid.push_back(i);
    }
    const std::array<std::pair<const char*, Off>, 9> offs{{{"focal", {.focal = 1}},
                                                           {"pitch", {.pitch = 1}},
                                                           {"roll", {.roll = 1}},
                                                           {"distortion", {.distortion = 1}},
                                                           {"scale", {.scale = 1}},
                                                           {"floor", {.floor = 1}},
                                                           {"depth", {.depth = 1}},
                                                           {"left_foot", {.left_foot = 1}},
                                                           {"right_foot", {.right_foot = 1}}}};
    for (const auto& [what, off] : offs) {
        const Camera moved = picture.camera(off);
        const auto d = picture.depths(moved, off, m.grid);
        SharedError e;
        e.what = what;
        e.person = e.what == "scale" || e.what == "left_foot" || e.what == "right_foot";
        e.stature = m.stature * (off.scale != 0 ? 1 + picture.scale_sigma() : 1);
        e.moved.reserve(m.grid.size());
        for (std::size_t g = 0; g < m.grid.size(); ++g) {
            const auto i = m.grid[g];
            const Body3 a = picture.level(i, *m.camera, depth.of[0][i], depth.of[1][i], {}),
                        b = picture.level(i, moved, d.of[0][g], d.of[1][g], off);
            Body3 delta;
            for (std::size_t k = 0; k < point_count; ++k) delta[k] = room(b[k]) - room(a[k]);
            e.moved.push_back(delta); // as a difference for now
        }
        m.shared.push_back(std::move(e));
    }
    if (!t.model.empty()) m.shared.push_back(head_ahead(m));
}

} // namespace

Result<Motion> from_picture(const Track& t, const MotionOptions& o) {
    Picture picture(t, o);
    if (auto ok = picture.look(); !ok) return tl::unexpected(ok.error());
    Motion m = begun(t, picture);
    const auto n = t.frames();
    const Camera& c = *m.camera;
    std::vector<std::size_t> all(n);
    std::iota(all.begin(), all.end(), std::size_t{0});
    const auto depth = picture.depths(c, {}, all);
    ToRoom room{std::cos(m.start_azimuth), std::sin(m.start_azimuth)};
    for (std::size_t i = 0; i < n; ++i) {
        m.facing[i] = wrap(m.start_azimuth - picture.azimuth()[i]);
        m.otherwise[i] = t.px[i] && picture.faces_otherwise(i);
        if (!t.px[i] || m.otherwise[i]) continue;
        m.valid[i] = true;
        m.azimuth[i] = wrap(picture.azimuth()[i] - picture.to_sight(i, c));
        const Body3 level = picture.level(i, c, depth.of[0][i], depth.of[1][i], {});
        for (std::size_t k = 0; k < point_count; ++k) m.m[i][k] = room(level[k]);
        m.sigma[i] = picture.sigma(i, c, 0.5 * (depth.of[0][i] + depth.of[1][i]));
        m.foot_place[i] = picture.foot_place(i, c);
    }
    settle_origin(m, room);
    look_from(m, usual_azimuth(m, !o.turned.empty()));
    fill(m);
    if (o.errors) share_errors(m, t, picture, depth, room);
    return m;
}

} // namespace bevel::grounding
