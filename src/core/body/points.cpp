#include "core/body/points.h"
#include <cmath>
#include <numbers>

namespace bevel {

Vec2 Steady::to_steady(const Vec2& p) const {
    const double w = h[6] * p.x() + h[7] * p.y() + 1;
    return {(h[0] * p.x() + h[1] * p.y() + h[2]) / w, (h[3] * p.x() + h[4] * p.y() + h[5]) / w};
}

Vec2 Steady::to_filmed(const Vec2& p) const {
    // Two equations of the mapping, solved for the place.
    Eigen::Matrix2d a;
    a << h[0] - h[6] * p.x(), h[1] - h[7] * p.x(), h[3] - h[6] * p.y(), h[4] - h[7] * p.y();
    return a.partialPivLu().solve(Vec2(p.x() - h[2], p.y() - h[5]));
}
namespace {
constexpr std::array<std::string_view, point_count> names = {
    "nose",         "left_eye",    "left_ear",       "left_shoulder", "left_elbow",  "left_wrist",  "left_thumb",
    "left_index",   "left_little", "left_hip",       "left_knee",     "left_ankle",  "left_heel",   "left_toe",
    "right_eye",    "right_ear",   "right_shoulder", "right_elbow",   "right_wrist", "right_thumb", "right_index",
    "right_little", "right_hip",   "right_knee",     "right_ankle",   "right_heel",  "right_toe"};
constexpr std::array<std::string_view, 6> views = {"front", "back", "left", "right", "oblique", "3d"};
} // namespace

std::string_view point_name(Point p) {
    return names[static_cast<std::size_t>(p)];
}

std::string_view extra_name(Extra e) {
    constexpr std::array<std::string_view, extra_count> n{"c7", "mid_back", "low_back", "tail", "crown", "tool_front", "tool_back"};
    return n[static_cast<std::size_t>(e)];
}

std::optional<Extra> extra_from_name(std::string_view name) {
    for (int e = 0; e < extra_count; ++e)
        if (extra_name(static_cast<Extra>(e)) == name) return static_cast<Extra>(e);
    return std::nullopt;
}

std::optional<Point> point_from_name(std::string_view name) {
    for (int i = 0; i < point_count; ++i)
        if (names[static_cast<std::size_t>(i)] == name) return static_cast<Point>(i);
    return std::nullopt;
}

std::string_view view_name(View v) {
    return views[static_cast<std::size_t>(v)];
}

std::optional<View> view_from_name(std::string_view name) {
    for (std::size_t i = 0; i < views.size(); ++i)
        if (views[i] == name) return static_cast<View>(i);
    return std::nullopt;
}

double joint_bend(const Vec3& a, const Vec3& b, const Vec3& c) {
    const Vec3 u = a - b, v = c - b;
    return 180 - std::atan2(u.cross(v).norm(), u.dot(v)) * 180 / std::numbers::pi;
}

} // namespace bevel
