#include "store/intake.h"

namespace bevel {
namespace {
std::string problem_of(const Error& e) {
    if (e.code == Code::cancelled) return "cancelled";
    return e.code == Code::cannot_judge ? e.context : "unreadable: " + e.context;
}
} // namespace

Result<Clip> keep_found(Library& library, Clip clip, const Found& found) {
    if (found.track)
        if (auto ok = library.save_track(clip.id, *found.track); !ok) return tl::unexpected(ok.error());
    if (found.review) {
        const Motion& m = found.review->motion;
        if (m.has_x && m.neutral.source == NeutralSource::quiet_second)
            if (auto ok = library.set_shoulder_width(clip.person, m.neutral.shoulder_width); !ok) return tl::unexpected(ok.error());
    }
    clip.state = found.review ? ClipState::tracked : ClipState::failed;
    clip.problem = found.review ? std::string() : problem_of(found.error);
    if (auto ok = library.update_clip(clip); !ok) return tl::unexpected(ok.error());
    return clip;
}

} // namespace bevel
