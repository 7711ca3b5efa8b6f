#include "core/ground/marks.h"
#include <cmath>

namespace bevel {

std::optional<VerticalOnPicture> vertical_from(std::span<const UprightMark> marks, int width, int height) {
    if (width <= 0 || height <= 0) return std::nullopt;
    constexpr double end_sigma = 1.5;
    // tan(10 degrees) over a focal length of 1.1 widths, per pixel.
    const double slope_prior = 0.1763 / (1.1 * width);
    Eigen::Matrix2d a = Eigen::Matrix2d::Zero();
    Eigen::Vector2d b = Eigen::Vector2d::Zero();
    a(1, 1) = 1 / (slope_prior * slope_prior);
    int used = 0;
    for (const auto& m : marks) {
        const bool first_up = m.y0 < m.y1;
        const double dx = first_up ? m.x0 - m.x1 : m.x1 - m.x0, up = std::abs(m.y0 - m.y1);
        const double length = std::hypot(dx, up);
        if (length < 0.1 * height || std::abs(dx) > up) continue;
        const double tilt = std::atan2(dx, up), sigma = std::sqrt(2.0) * end_sigma / length;
        const Eigen::Vector2d u(1, 0.5 * (m.x0 + m.x1) - 0.5 * width);
        a += u * u.transpose() / (sigma * sigma);
        b += u * tilt / (sigma * sigma);
        ++used;
    }
    if (used == 0) return std::nullopt;
    const Eigen::Matrix2d cov = a.inverse();
    const Eigen::Vector2d fit = cov * b;
    VerticalOnPicture v;
    v.roll = fit[0];
    v.slope = fit[1];
    v.roll_sigma = std::max(0.001, std::sqrt(cov(0, 0)));
    v.slope_sigma = std::sqrt(cov(1, 1));
    v.from_room = true;
    return v;
}

} // namespace bevel
