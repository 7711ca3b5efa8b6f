#include "desk/right_moments.h"
#include "core/measure/own_moment.h"
#include <algorithm>
#include <map>

namespace bevel {
namespace {

std::optional<Motion> motion_of(const Library& library, std::int64_t id) {
    const auto clip = library.clips().get(id);
    if (!clip) return std::nullopt;
    auto track = library.tracks().load(id);
    if (!track) return std::nullopt;
    track->layers.mirrored = clip->mirrored;
    MotionOptions o;
    o.view = view_from_name(clip->view);
    if (const auto h = library.people().height_at(clip->person, clip->filmed_on.empty() ? clip->arrived_on : clip->filmed_on))
        o.stature_m = *h;
    if (const auto people = library.people().all())
        for (const auto& p : *people)
            if (p.id == clip->person && p.shoulder_width_m > 0) o.shoulder_width_m = p.shoulder_width_m;
    auto m = make_motion(*track, o);
    return m ? std::optional(std::move(*m)) : std::nullopt;
}

} // namespace

PersonNeutral with_moment(PersonNeutral n, const RightMoment& m) {
    // One that was marked within the same second stands in its place.
    std::erase_if(n.moments, [&](const RightMoment& x) { return x.clip == m.clip && std::abs(x.time_s - m.time_s) < 1; });
    if (n.moments.size() >= most_moments) n.moments.erase(n.moments.begin());
    n.moments.push_back(m);
    return n;
}

Result<bool> renew_moments(Library& library, std::int64_t person, std::int64_t also_clip) {
    auto now = library.people().neutral(person);
    if (!now) return tl::unexpected(now.error());
    const auto before = neutral_text(*now);
    std::map<std::int64_t, std::optional<Motion>> motions;
    for (auto& m : now->moments) {
        if (m.clip == 0 || (m.version == own_figures_version && m.clip != also_clip)) continue;
        auto at = motions.find(m.clip);
        if (at == motions.end()) at = motions.emplace(m.clip, motion_of(library, m.clip)).first;
        if (!at->second) continue;
        const OwnFigures figures = figures_at(*at->second, m.time_s);
        if (figures.empty()) continue;
        m.figures = figures;
        m.view = at->second->view;
        m.version = own_figures_version;
    }
    if (neutral_text(*now) == before) return false;
    if (auto ok = library.people().set_neutral(person, *now); !ok) return ok;
    return true;
}

} // namespace bevel
