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
    auto ok = library.together([&]() -> Result<bool> {
        if (found.track) {
            if (auto done = library.save_track(clip.id, *found.track); !done) return done;
            clip.quality = quality_of(*found.track, found.review);
            if (auto done = library.save_quality(clip.id, *clip.quality); !done) return done;
            if (auto done = library.forget_unfinished(clip.id); !done) return done;
        }
        if (found.review) {
            const Motion& m = found.review->motion;
            if (m.has_x && m.neutral.source == NeutralSource::quiet_second)
                if (auto done = library.set_shoulder_width(clip.person, m.neutral.shoulder_width); !done) return done;
        }
        if (found.review && clip.view.empty()) {
            clip.view = view_name(found.review->motion.view);
            if (auto done = library.set_clip_facts(clip); !done) return done;
        }
        clip.state = found.review ? ClipState::tracked : ClipState::failed;
        clip.problem = found.review ? std::string() : problem_of(found.error);
        return library.set_clip_state(clip.id, clip.state, clip.problem);
    });
    if (!ok) return tl::unexpected(ok.error());
    return clip;
}

} // namespace bevel
