#include "ui/review/review_state.h"
#include <cmath>

namespace bevel::ui {

Decision ReviewState::decision_of(const Finding& f) const {
    return bevel::decision_of(decisions, f);
}

void ReviewState::set_decision(const Decision& d) {
    std::erase_if(decisions, [&](const Decision& x) { return x.key == d.key; });
    decisions.push_back(d);
    emit decisions_changed();
}

void ReviewState::set_frame(std::ptrdiff_t f) {
    if (frames() == 0) return;
    const auto to = static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(f, 0, static_cast<std::ptrdiff_t>(frames()) - 1));
    if (to == frame) return;
    frame = to;
    emit frame_changed();
}

void ReviewState::set_time(double t) {
    if (frames() == 0) return;
    const auto& ts = open->track.time_s;
    auto i = std::lower_bound(ts.begin(), ts.end(), t) - ts.begin();
    if (i > 0 &&
        (i == static_cast<std::ptrdiff_t>(ts.size()) || t - ts[static_cast<std::size_t>(i - 1)] < ts[static_cast<std::size_t>(i)] - t))
        --i;
    set_frame(i);
}

void ReviewState::go_to(const Finding& f) {
    held_.reset();
    if (!open || f.of_clip != 1 || !open->partner) return set_time(f.time_s);
    const double t = open->at_once.together ? f.time_s - open->at_once.ahead_s
                                            : same_moment(open->partner->review->alignment, f.time_s, open->review->alignment);
    if (!std::isfinite(t)) return;
    set_time(t);
    held_ = {frame, f.time_s};
    emit frame_changed();
}

std::optional<std::size_t> ReviewState::partner_frame() const {
    if (!open || !beside || beside->track.frames() == 0) return std::nullopt;
    const auto& ts = beside->track.time_s;
    const double t = held_ && held_->first == frame && beside == open->partner ? held_->second
                     : open->at_once.together && beside == open->partner
                         ? time() + open->at_once.ahead_s
                         : same_moment(open->review->alignment, time(), beside->review->alignment);
    if (!std::isfinite(t)) return std::nullopt;
    const auto i = std::upper_bound(ts.begin(), ts.end(), t + 1e-6) - ts.begin();
    return static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(i - 1, 0, static_cast<std::ptrdiff_t>(ts.size()) - 1));
}

void ReviewState::set_family(Family f) {
    family = f;
    emit view_changed();
}
void ReviewState::choose_part(Family f) {
    const bool again = family == f;
    set_family(f);
    emit part_chosen(again);
}
void ReviewState::set_zoom(double times, QPointF place) {
    zoom = std::clamp(times, 1.0, most_zoom);
    const double half = 0.5 / zoom; // what is shown stays within the picture
    about = {std::clamp(place.x(), half, 1 - half), std::clamp(place.y(), half, 1 - half)};
    emit zoom_changed();
}
void ReviewState::set_mirrored(bool on) {
    mirrored = on;
    emit view_changed();
}
void ReviewState::set_laid_over(bool on) {
    laid_over = on;
    emit view_changed();
}
void ReviewState::point_at(const Finding* f) {
    pointed.reset();
    if (f) pointed = *f;
    emit zoom_changed(); // the pictures alone
}

Side ReviewState::planted(std::size_t at) const {
    const auto* weight = open ? open->review->measures.find("weight.left") : nullptr;
    return weight && at < weight->samples.size() && weight->samples[at].absent == Absent::none && weight->samples[at].value < 0.5
               ? Side::right
               : Side::left;
}
void ReviewState::set_one_repetition(bool on) {
    one_repetition = on;
    emit view_changed();
}
void ReviewState::set_by_movement(bool on) {
    by_movement = on;
    emit view_changed();
}

const Repetition* ReviewState::repetition_of(std::size_t at) const {
    if (!open || at >= frames()) return nullptr;
    const auto& t = open->track.time_s;
    const auto* rep = open->review->alignment.at(t[at]);
    return rep || at + 1 >= t.size() ? rep : open->review->alignment.at(0.5 * (t[at] + t[at + 1]));
}

int ReviewState::repetition() const {
    if (!open) return -1;
    int at = -1;
    const auto& reps = open->review->alignment.repetitions;
    for (std::size_t i = 0; i < reps.size(); ++i)
        if (reps[i].start_s <= time() + 1e-9) at = static_cast<int>(i);
    return at;
}

std::optional<ReviewState::FamilyVerdict> ReviewState::verdict_of(Family f) const {
    std::optional<FamilyVerdict> worst;
    auto rank = [](Verdict v) { return v == Verdict::outside ? 3 : v == Verdict::edge ? 2 : v == Verdict::inside ? 1 : 0; };
    if (!open) return worst;
    const int rep = repetition();
    for (const auto& finding : open->review->findings) {
        if (finding.family != f || finding.by_hand) continue;
        // What cannot be told has no figure a repetition, and shows where nothing else of the family does.
        if (finding.outcomes.empty() && !worst) worst = FamilyVerdict{Verdict::cannot_tell, 0, 1};
        for (const auto& o : finding.outcomes) {
            // Repetitions of the other clip of a pair are not this one's: all of them count.
            if (rep >= 0 && finding.of_clip == 0 && o.repetition != rep && finding.measure != "tempo.repetition_spread") continue;
            const bool below = o.low && o.value < *o.low;
            const double off = below ? *o.low - o.value : o.high && o.value > *o.high ? o.value - *o.high : 0;
            const FamilyVerdict now{o.verdict, off / finding.scale(), below ? 1 : -1};
            if (!worst || rank(now.verdict) > rank(worst->verdict) || (now.verdict == worst->verdict && now.size > worst->size))
                worst = now;
        }
    }
    return worst;
}

} // namespace bevel::ui
