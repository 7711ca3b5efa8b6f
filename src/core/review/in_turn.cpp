#include "core/review/in_turn.h"
#include <cmath>

namespace bevel {
namespace {

constexpr double apart = 0.5, larger = 0.25; // heights; part of the height

struct Where {
    double x = 0, y = 0, tall = 0;
};
/// The middle of the hips, and from the shoulders to the ankles: what is seen of a body however the arms are.
Where where(const BodyPx& b) {
    const auto mid = [&](Point l, Point r) { return std::pair{0.5 * (b[l].x + b[r].x), 0.5 * (b[l].y + b[r].y)}; };
    const auto hips = mid(left_hip, right_hip), top = mid(left_shoulder, right_shoulder), low = mid(left_ankle, right_ankle);
    return {hips.first, hips.second, std::hypot(top.first - low.first, top.second - low.second)};
}

} // namespace

std::vector<InTurn> people_in_turn(const Track& track) {
    std::vector<InTurn> out;
    std::optional<Where> last;
    double last_s = 0;
    const auto close = [&] {
        if (!out.empty() && out.back().to_s - out.back().from_s < least_s) out.pop_back();
    };
    for (std::size_t i = 0; i < track.frames() && i < track.px.size(); ++i) {
        if (!track.px[i]) continue;
        const Where now = where(*track.px[i]);
        const double t = track.time_s[i];
        const bool gone = !last || t - last_s > gone_s;
        // A squat makes a body shorter too, but not from one frame to the next.
        const bool other = last && t - last_s < 0.3 && now.tall > 0 &&
                           (std::hypot(now.x - last->x, now.y - last->y) > apart * now.tall ||
                            std::abs(now.tall - last->tall) > larger * std::max(now.tall, last->tall));
        if (gone || other) {
            close();
            out.push_back({t, t});
        }
        out.back().to_s = t;
        last = now, last_s = t;
    }
    close();
    return out;
}

} // namespace bevel
