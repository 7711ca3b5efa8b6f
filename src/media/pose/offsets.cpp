#include "core/signal/signal.h"
#include "media/tracker.h"
#include <cmath>

namespace bevel {
namespace {
#include "media/pose/offsets.inc"

double body_height(const BodyPx& b) {
    const Vec2 ear(0.5 * (b[left_ear].x + b[right_ear].x), 0.5 * (b[left_ear].y + b[right_ear].y));
    const Vec2 ankle(0.5 * (b[left_ankle].x + b[right_ankle].x), 0.5 * (b[left_ankle].y + b[right_ankle].y));
    return (ear - ankle).norm();
}
} // namespace

std::pair<Vec2, Vec2> offset_axes(const BodyPx& b, Point p, View view) {
    auto at = [&](Point q) { return Vec2(b[q].x, b[q].y); };
    auto mid = [&](Point q) { return Vec2(0.5 * (at(q) + at(mirrored(q)))); };
    const bool left = p != nose && p < right_eye;
    const Side side = left ? Side::left : Side::right;
    const Point base = p == nose || left ? p : mirrored(p);
    Vec2 along = mid(left_shoulder) - mid(left_hip);
    if (base == left_knee) along = at(on(side, left_knee)) - at(on(side, left_hip));
    if (base == left_ankle || base == left_heel || base == left_toe) along = at(on(side, left_ankle)) - at(on(side, left_knee));
    if (base == left_elbow) along = at(on(side, left_elbow)) - at(on(side, left_shoulder));
    if (base == left_wrist || base == left_index || base == left_little || base == left_thumb)
        along = at(on(side, left_wrist)) - at(on(side, left_elbow));
    along = along.norm() > 1e-6 ? Vec2(along.normalized()) : Vec2(0, 1);
    // Across, on the picture: outward from the midline seen from front and back; the way the person faces from the side.
    double right = 1;
    if (view == View::front || view == View::oblique) right = left ? 1 : -1;
    if (view == View::back) right = left ? -1 : 1;
    if (view == View::left) right = -1;
    if (p == nose && (view == View::front || view == View::back)) right = 0;
    return {along, Vec2(right, 0)};
}

void correct_offsets(Track& t, View view) {
    const int kind = view == View::left || view == View::right ? 1 : 0;
    signal::Series tall;
    for (const auto& f : t.px)
        if (f) tall.push_back(body_height(*f));
    const double height = signal::quantile(tall, 0.95);
    for (auto& f : t.px) {
        if (!f) continue;
        const BodyPx raw = *f;
        for (int p = 0; p < point_count; ++p) {
            const auto q = static_cast<Point>(p);
            // Seen from the side, the near and the far side of the body have offsets of their own.
            const bool left = q != nose && q < right_eye;
            const bool far = kind == 1 && q != nose && left != (view == View::left);
            const PointOffset& o =
                mean_offsets[static_cast<std::size_t>(kind == 0 ? 0
                                                      : far     ? 2
                                                                : 1)][static_cast<std::size_t>(q == nose || left ? q : mirrored(q))];
            const auto [along, across] = offset_axes(raw, q, view);
            auto& out = (*f)[static_cast<std::size_t>(p)];
            out.x -= height * (o.along * along.x() + o.across * across.x());
            out.y -= height * (o.along * along.y() + o.across * across.y());
            // What remains is wider where the network itself is unsure.
            out.sigma = 0.8 * height * o.spread * // part of the spread is the figures' own, and measures take differences
                        (1 + 1.5 * std::max(0.0, 0.9 - out.visibility));
        }
    }
}

} // namespace bevel
