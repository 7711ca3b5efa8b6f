#include "core/ground/camera.h"
#include <cmath>

namespace bevel {

std::string_view from_name(From f) {
    constexpr std::array<std::string_view, 8> n{"assumed", "proportions", "body", "floor", "quiet_stand", "room", "mark", "stated"};
    return n[static_cast<std::size_t>(f)];
}

Vec2 Camera::ray(double x, double y) const {
    Vec2 d(x - cx, y - cy);
    // Distortion is small: two rounds of the fixed point take it out to a thousandth of a pixel.
    const double half = cx * cx + cy * cy;
    const Vec2 bent = d;
    for (int i = 0; i < 3 && distortion.value != 0; ++i) d = bent / (1 + distortion.value * d.squaredNorm() / half);
    const double c = std::cos(roll.value), s = std::sin(roll.value);
    const double right = (c * d.x() + s * d.y()) / focal.value, down = (-s * d.x() + c * d.y()) / focal.value;
    const double cp = std::cos(pitch.value), sp = std::sin(pitch.value);
    const double away = std::max(0.05, cp - down * sp);
    return {right / away, (-down * cp - sp) / away};
}

Vec2 Camera::project(const Vec3& p) const {
    const double cp = std::cos(pitch.value), sp = std::sin(pitch.value);
    const double ahead = p.z() * cp - p.y() * sp, down = -p.y() * cp - p.z() * sp;
    const Vec2 q(focal.value * p.x() / ahead, focal.value * down / ahead);
    const double c = std::cos(roll.value), s = std::sin(roll.value);
    Vec2 d(c * q.x() - s * q.y(), s * q.x() + c * q.y());
    d *= 1 + distortion.value * d.squaredNorm() / (cx * cx + cy * cy);
    return {cx + d.x(), cy + d.y()};
}

} // namespace bevel
