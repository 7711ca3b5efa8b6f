#include "desk/changes.h"
#include <algorithm>

namespace bevel {

Result<Better> better_in(const Library& library, const Clip& clip, const Review& review) {
    Better out;
    if (clip.person == 0) return out;
    auto all = library.records().figures(clip.person);
    if (!all) return tl::unexpected(all.error());
    // This clip as it is judged now, in place of what was kept of it.
    std::erase_if(*all, [&](const KeptFigure& f) { return f.clip == clip.id; });
    for (auto f : figures_of(review)) {
        f.clip = clip.id;
        f.day = clip.filmed_on.empty() ? clip.arrived_on : clip.filmed_on;
        all->push_back(std::move(f));
    }
    for (const auto& t : trends_of(std::move(*all))) {
        const auto& newest = t.points.back();
        if (newest.clip != clip.id) continue;
        const auto line = std::find_if(t.lines.begin(), t.lines.end(), [&](const auto& l) { return l.back() == t.points.size() - 1; });
        if (line == t.lines.end() || line->size() < 2) continue;
        const auto key = FindingKey::read(newest.check, newest.side);
        if (t.since_first && t.since_first->turn == Turn::better)
            out[key] = {*t.since_first, newest.unit, t.points[line->front()].day};
        else if (t.last && t.last->turn == Turn::better)
            out[key] = {*t.last, newest.unit, t.points[(*line)[line->size() - 2]].day};
    }
    return out;
}

} // namespace bevel
