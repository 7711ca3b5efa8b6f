#include "core/ground/camera.h"
#include <cmath>

namespace bevel {

std::string_view from_name(From f) {
    constexpr std::array<std::string_view, 8> n{"assumed", "proportions", "body", "floor", "quiet_stand", "room", "mark", "stated"};
    return n[static_cast<std::size_t>(f)];
}

void Camera::settle() {
    cr_ = std::cos(roll.value);
    sr_ = std::sin(roll.value);
    cp_ = std::cos(pitch.value);
    sp_ = std::sin(pitch.value);
}

Vec2 Camera::ray(double x, double y) const {
    Vec2 d(x - cx, y - cy);
    // Distortion is small: two rounds of the fixed point take it out to a thousandth of a pixel.
    const double half = cx * cx + cy * cy;
    const Vec2 bent = d;
    for (int i = 0; i < 3 && distortion.value != 0; ++i) d = bent / (1 + distortion.value * d.squaredNorm() / half);
    const double right = (cr_ * d.x() + sr_ * d.y()) / focal.value, down = (-sr_ * d.x() + cr_ * d.y()) / focal.value;
    const double away = std::max(0.05, cp_ - down * sp_);
    return {right / away, (-down * cp_ - sp_) / away};
}

Vec2 Camera::project(const Vec3& p) const {
    const double ahead = p.z() * cp_ - p.y() * sp_, down = -p.y() * cp_ - p.z() * sp_;
    const Vec2 q(focal.value * p.x() / ahead, focal.value * down / ahead);
    Vec2 d(cr_ * q.x() - sr_ * q.y(), sr_ * q.x() + cr_ * q.y());
    d *= 1 + distortion.value * d.squaredNorm() / (cx * cx + cy * cy);
    return {cx + d.x(), cy + d.y()};
}

} // namespace bevel
