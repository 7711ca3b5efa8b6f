#include "core/form/which_form.h"
#include "core/form/form_review.h"
#include <algorithm>
#include <cmath>
#include <set>

namespace bevel {
namespace {

/// The longest sequence that both hold in the same order, as places in `a`.
std::vector<std::size_t> in_common(const std::vector<std::string>& a, const std::vector<std::string>& b) {
    std::vector<std::vector<int>> length(a.size() + 1, std::vector<int>(b.size() + 1, 0));
    for (std::size_t i = a.size(); i-- > 0;)
        for (std::size_t k = b.size(); k-- > 0;)
            length[i][k] = a[i] == b[k] ? 1 + length[i + 1][k + 1] : std::max(length[i + 1][k], length[i][k + 1]);
    std::vector<std::size_t> out;
    for (std::size_t i = 0, k = 0; i < a.size() && k < b.size();)
        if (a[i] == b[k])
            out.push_back(i++), ++k;
        else
            length[i + 1][k] >= length[i][k + 1] ? ++i : ++k;
    return out;
}

} // namespace

std::vector<FormGuess> guess_form(std::span<const PartGuess> parts, std::span<const LinkedForm> forms) {
    std::vector<std::string> found;
    for (const auto& p : parts) found.insert(found.end(), static_cast<std::size_t>(std::max(1, p.repetitions)), p.movement);
    std::vector<FormGuess> out;
    for (const auto& f : forms) {
        std::vector<std::string> asked;
        for (const auto& p : f.parts) asked.insert(asked.end(), static_cast<std::size_t>(p.repeats), p.movement);
        const auto both = in_common(found, asked);
        std::set<std::string> kinds;
        for (const auto i : both) kinds.insert(found[i]);
        if (kinds.size() < 2) continue;
        out.push_back({f.id, 2.0 * static_cast<double>(both.size()) / static_cast<double>(found.size() + asked.size()),
                       static_cast<int>(kinds.size())});
    }
    std::stable_sort(out.begin(), out.end(), [](const FormGuess& a, const FormGuess& b) { return a.score > b.score; });
    return out;
}

std::optional<FormGuess> guess_turning_form(const Track& track, std::span<const Movement> movements, std::span<const LinkedForm> forms,
                                            const ReviewOptions& options, const std::stop_token& stop) {
    constexpr double shortest = 0.4, longest = 2.5; // of the form's own time
    MotionOptions mo = motion_options(options);
    mo.errors = false;
    const auto motion = make_motion(seen_by(track, options), mo);
    if (!motion || !motion->from_pictures()) return std::nullopt;
    const Measures measures = measure(*motion, {options.sex});
    const double length = motion->time_s.back() - motion->time_s.front();
    std::optional<FormGuess> best;
    for (const auto& f : forms) {
        if (stop.stop_requested()) return std::nullopt;
        const auto course = link(f, movements);
        if (!course) continue;
        const double own = course->score().duration();
        const auto turned = [&](const LinkedPart& p) { return std::abs(p.frame.yaw - course->parts.front().frame.yaw) > 1; };
        if (length < shortest * own || length > longest * own || std::none_of(course->parts.begin(), course->parts.end(), turned)) continue;
        const FormReference reference(*course, motion->stature);
        const auto seen = align_as_seen(*motion, measures, reference, std::nullopt);
        if (!seen) continue;
        std::set<std::size_t> there;
        std::set<std::string> kinds;
        for (const auto& r : seen->alignment.repetitions)
            if (!r.cut) there.insert(r.entry), kinds.insert(f.parts[course->parts[r.entry].entry].movement);
        const FormGuess g{f.id, seen->explained * static_cast<double>(there.size()) / static_cast<double>(course->parts.size()),
                          static_cast<int>(kinds.size())};
        if (!best || g.score > best->score) best = g;
    }
    return best;
}

} // namespace bevel
