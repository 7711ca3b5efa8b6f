#include "store/intake.h"
#include "core/signal/signal.h"
#include <algorithm>

namespace bevel {
namespace {
std::string problem_of(const Error& e) {
    if (e.code == Code::cancelled) return "cancelled";
    return e.code == Code::cannot_judge ? e.context : "unreadable: " + e.context;
}

ClipQuality quality_of(const Track& track, const Review* review) {
    ClipQuality q;
    const auto found = std::count_if(track.px.begin(), track.px.end(), [](const auto& f) { return f.has_value(); });
    q.found = track.frames() > 0 ? static_cast<double>(found) / static_cast<double>(track.frames()) : 0;
    q.frames_per_s = signal::median_rate(track.time_s);
    q.vertical_seen = track.vertical && track.vertical->from_room;
    q.neutral_seen = review && review->motion.neutral.source == NeutralSource::quiet_second;
    return q;
}
} // namespace

Result<Clip> keep_found(Library& library, Clip clip, const Found& found) {
    if (found.track) {
        if (auto ok = library.save_track(clip.id, *found.track); !ok) return tl::unexpected(ok.error());
        clip.quality = quality_of(*found.track, found.review);
        if (auto ok = library.save_quality(clip.id, *clip.quality); !ok) return tl::unexpected(ok.error());
    }
    if (found.review) {
        const Motion& m = found.review->motion;
        if (m.has_x && m.neutral.source == NeutralSource::quiet_second)
            if (auto ok = library.set_shoulder_width(clip.person, m.neutral.shoulder_width); !ok) return tl::unexpected(ok.error());
    }
    if (found.review && clip.view.empty()) clip.view = view_name(found.review->motion.view);
    clip.state = found.review ? ClipState::tracked : ClipState::failed;
    clip.problem = found.review ? std::string() : problem_of(found.error);
    if (auto ok = library.update_clip(clip); !ok) return tl::unexpected(ok.error());
    return clip;
}

} // namespace bevel
