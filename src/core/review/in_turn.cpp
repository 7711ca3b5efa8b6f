#include "core/review/in_turn.h"
#include "core/signal/signal.h"
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

bool differ(const Where& a, const Where& b) {
    const double tall = std::max(a.tall, b.tall);
    return tall > 0 && (std::hypot(a.x - b.x, a.y - b.y) > apart * tall || std::abs(a.tall - b.tall) > larger * tall);
}

/// Where the body is in the half second from `t` on, or up to it: the middle of what was found, whatever single frames say.
Where about(const Track& track, std::size_t frame, bool after) {
    std::vector<double> x, y, tall;
    const double t = track.time_s[frame];
    for (std::size_t i = frame; i < track.px.size() && std::abs(track.time_s[i] - t) < 0.5; i += after ? 1 : static_cast<std::size_t>(-1)) {
        if (!track.px[i]) continue;
        const Where w = where(*track.px[i]);
        x.push_back(w.x), y.push_back(w.y), tall.push_back(w.tall);
    }
    return {signal::median(x), signal::median(y), signal::median(tall)};
}

} // namespace

std::vector<InTurn> people_in_turn(const Track& track) {
    std::vector<InTurn> out;
    std::optional<Where> last;
    std::size_t last_frame = 0;
    double last_s = 0;
    const auto close = [&] {
        if (!out.empty() && out.back().to_s - out.back().from_s < least_s) out.pop_back();
    };
    for (std::size_t i = 0; i < track.frames() && i < track.px.size(); ++i) {
        if (!track.px[i]) continue;
        const Where now = where(*track.px[i]);
        const double t = track.time_s[i];
        const bool gone = !last || t - last_s > gone_s;
        // A squat makes a body shorter too, but not from one frame to the next; a point that slips comes back.
        const bool other = last && t - last_s < 0.3 && differ(*last, now) && differ(about(track, last_frame, false), about(track, i, true));
        if (gone || other) {
            close();
            out.push_back({t, t});
        }
        out.back().to_s = t;
        last = now, last_s = t, last_frame = i;
    }
    close();
    return out;
}

} // namespace bevel
