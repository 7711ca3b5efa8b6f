#include "ui/review/review_state.h"
#include "core/ground/derive.h"
#include "core/practice/plan.h"
#include "core/review/agreed.h"
#include "ui/letter/sending.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui {

namespace {
/// What the day of a clip changes in its bands.
std::vector<BandChange> changes_of_day(const Condition& day) {
    std::vector<BandChange> out;
    if (day.energy && *day.energy <= Needs::tired_at)
        out = changes_of_tired_day(QCoreApplication::translate("review", "little energy that day").toStdString());
    for (const auto& care : cares_of_pain(day.pain))
        for (auto& c : changes_of_limit(care, QCoreApplication::translate("review", "pain that day").toStdString()))
            out.push_back(std::move(c));
    return out;
}

/// One clip by itself.
Result<std::shared_ptr<OpenReview>> load_one(const Library& library, const Session& session, std::int64_t id) {
    auto clip = library.clip(id);
    if (!clip) return tl::unexpected(clip.error());
    auto track = library.load_track(id);
    if (!track) return tl::unexpected(track.error());
    track->layers.mirrored = clip->mirrored;
    auto people = library.people();
    if (!people) return tl::unexpected(people.error());
    const Taught taught = taught_of(library, *clip);
    const auto movement = session.movement(clip->movement, taught.version);
    if (!movement) return fail(Code::not_found, clip->movement);
    auto open = std::make_shared<OpenReview>();
    open->clip = *clip;
    for (const auto& p : *people)
        if (p.id == clip->person) open->person = p;
    // The height of the day it was filmed.
    if (const auto h = library.height_at(clip->person, clip->filmed_on.empty() ? clip->arrived_on : clip->filmed_on))
        open->person.stature_m = *h;
    auto agreements = library.agreements_for(*clip);
    if (!agreements) return tl::unexpected(agreements.error());
    open->agreements = std::move(*agreements);
    open->taught = taught;
    if (const auto facts = library.facts(clip->person))
        open->language = facts->language.empty() ? spoken_language().toStdString() : facts->language;
    if (const auto c = library.condition(id)) open->condition = *c;
    const auto options = review_options(session, *clip, open->person, open->agreements, taught, open->condition);
    auto review = make_review(*track, *movement, options);
    if (!review) return tl::unexpected(review.error());
    open->review = *review;
    if (clip->as_named != clip->movement)
        if (const auto which = parse_which(clip->which); which && which->movement == clip->movement) open->elsewhere = which->better;
    open->track = drawn_points(*track);
    open->file = library.path_of(*clip);
    open->has_file = library.has_file(*clip);
    auto seen = library.seen_in(id);
    if (!seen) return tl::unexpected(seen.error());
    open->seen = std::move(*seen);
    open->review = with_seen(std::move(open->review), open->seen);
    if (auto asked = library.asked_before(id)) open->asked = std::move(*asked);
    auto decisions = library.decisions(id);
    if (!decisions) return tl::unexpected(decisions.error());
    open->decisions = std::move(*decisions);
    return open;
}

/// What was asked again and again and did not become better.
void find_repeated(const Library& library, OpenReview& open) {
    std::optional<std::map<std::string, ShownChange>> better;
    for (const auto& f : open.review->findings) {
        if (f.verdict != Verdict::outside || f.by_hand) continue;
        const auto said = library.said_before(open.person.id, open.clip.movement, finding_key(f));
        if (!said || said->times < 3) continue;
        if (!better) {
            auto found = better_in(open, library);
            if (!found) return;
            better = std::move(*found);
        }
        if (!better->contains(f.check + "/" + (f.side ? std::string(side_name(*f.side)) : "")))
            open.repeated[finding_key(f)] = {said->times, said->first};
    }
}
} // namespace

Result<std::shared_ptr<const OpenReview>> load_review(const Library& library, const Session& session, std::int64_t id) {
    auto open = load_one(library, session, id);
    if (!open) return tl::unexpected(open.error());
    if ((*open)->clip.pair != 0) {
        // What stands in the way of the other clip does not stand in the way of this one.
        if (auto other = load_one(library, session, (*open)->clip.pair))
            if (auto both = paired(*(*open)->review, (*other)->review)) {
                (*open)->review = with_seen(*both, (*open)->seen);
                (*open)->partner = *other;
            }
    }
    if (auto phrases = library.phrases("", "", "", (*open)->language)) (*open)->phrases = std::move(*phrases);
    find_repeated(library, **open);
    return std::shared_ptr<const OpenReview>(std::move(*open));
}

Phrase phrase_of(const OpenReview& open, const Finding& f, const std::string& words) {
    Phrase p;
    p.check = f.check;
    p.direction = f.direction == Direction::none ? "" : std::string(direction_name(f.direction));
    for (const auto& phase : open.review->movement.phases)
        if (phase.id == f.phase) p.role = phase.role;
    p.language = open.language;
    p.words = words;
    return p;
}

std::vector<Phrase> phrases_for(const OpenReview& open, const Finding& f) {
    const Phrase like = phrase_of(open, f, "");
    std::vector<Phrase> out;
    for (const bool same_role : {true, false})
        for (const auto& p : open.phrases)
            if (p.check == like.check && p.direction == like.direction && (p.role == like.role) == same_role) out.push_back(p);
    return out;
}

std::shared_ptr<const Review> with_seen(std::shared_ptr<const Review> review, const std::vector<Remark>& seen) {
    if (seen.empty()) return review;
    auto out = std::make_shared<Review>(*review);
    for (const auto& s : seen) {
        Finding f;
        f.check = "seen:" + std::to_string(s.id);
        f.by_hand = true;
        if (!s.side.empty()) f.side = s.side == "left" ? Side::left : Side::right;
        f.family = static_cast<Family>(std::clamp(s.family, 0, family_count - 1));
        f.severity = s.safety ? Severity::safety : Severity::shape;
        f.verdict = Verdict::outside;
        f.time_s = s.time_s;
        f.cue = s.words;
        if (const auto* rep = review->alignment.at(s.time_s))
            for (const auto& p : rep->phases)
                if (s.time_s >= p.start_s && s.time_s < p.end_s) f.phase = p.id;
        // Safety before all others; else before the first of its family that is of no higher weight, among what is outside.
        const auto after = [&](const Finding& x) {
            if (x.verdict != Verdict::outside) return true;
            if ((x.severity == Severity::safety) != s.safety) return s.safety;
            return x.family > f.family;
        };
        out->findings.insert(std::find_if(out->findings.begin(), out->findings.end(), after), f);
    }
    return out;
}

std::shared_ptr<const OpenReview> judged_by_bands(const OpenReview& open, const Session& session, const std::vector<Decision>& decisions) {
    const auto now = session.movement(open.clip.movement, open.taught.version);
    if (!now || open.partner) return {};
    const auto options = review_options(session, open.clip, open.person, open.agreements, open.taught, open.condition);
    Movement movement = *now;
    apply(movement, options.school, BandLevel::school);
    apply(movement, options.adaptations, BandLevel::student);
    apply(movement, options.clip, BandLevel::clip);
    if (!same_but_for_bands(movement, open.review->movement)) return {};
    auto review = std::make_shared<Review>(*open.review);
    review->movement = std::move(movement);
    if (review->held_back.empty()) review->findings = judge(review->summaries, review->alignment, review->movement);
    auto out = std::make_shared<OpenReview>(open);
    out->review = with_seen(std::move(review), open.seen);
    out->decisions = decisions;
    return out;
}

Taught taught_of(const Library& library, const Clip& clip) {
    if (const auto facts = library.facts(clip.person); facts && clip.person != 0)
        for (const auto& t : facts->taught)
            if (t.movement == clip.movement) return {t.movement, clip.version.value_or(t.version), t.up_to};
    return {clip.movement, clip.version.value_or(""), ""};
}

ReviewOptions review_options(const Session& session, const Clip& clip, const Person& person, const std::vector<Agreement>& agreements,
                             const Taught& taught, const Condition& day) {
    ReviewOptions o;
    o.clip = changes_of_day(day);
    o.view = view_from_name(clip.view);
    o.stature_m = person.stature_m;
    o.mirrored = clip.mirrored;
    o.states = clip.states;
    o.own = person.neutral.for_clip(clip.id);
    if (person.shoulder_width_m > 0) o.shoulder_width_m = person.shoulder_width_m;
    if (clip.as_named != clip.movement)
        if (const auto which = parse_which(clip.which); which && which->movement == clip.movement) o.elsewhere = which->better;
    if (const auto s = session.school(clip.school)) o.school = s->changes;
    for (const auto& a : agreements) {
        if (a.check.starts_with("limit.")) {
            for (auto& c : changes_of_limit(a.check.substr(6), a.reason)) o.adaptations.push_back(std::move(c));
            continue;
        }
        BandChange c;
        c.check = a.check;
        c.low = a.low;
        c.high = a.high;
        c.off = a.off;
        c.reason = a.reason;
        (a.clip != 0 ? o.clip : o.adaptations).push_back(std::move(c));
    }
    // Phases that were not taught yet are not missing.
    if (const auto m = session.movement(clip.movement, taught.version); m && !taught.up_to.empty()) {
        std::vector<std::string> later;
        bool after = false;
        for (const auto& p : m->phases) {
            if (after) later.push_back(p.id);
            after = after || p.id == taught.up_to;
        }
        const auto is_later = [&](const std::string& id) { return std::find(later.begin(), later.end(), id) != later.end(); };
        for (const auto& check : m->checks) {
            if (check.phases.empty() || !std::all_of(check.phases.begin(), check.phases.end(), is_later)) continue;
            BandChange c;
            c.check = check.id;
            c.off = true;
            c.reason = QCoreApplication::translate("review", "not taught yet").toStdString();
            o.adaptations.push_back(std::move(c));
        }
    }
    return o;
}

Decision ReviewState::decision_of(const Finding& f) const {
    const std::string side = f.side ? std::string(side_name(*f.side)) : "";
    for (const auto& d : decisions)
        if ((d.check == f.key() || d.check == f.check) && d.side == side) return {f.key(), d.side, d.choice, d.wording, d.note};
    return {f.key(), side, Choice::open, "", ""};
}

void ReviewState::set_decision(const Decision& d) {
    std::erase_if(decisions, [&](const Decision& x) { return x.check == d.check && x.side == d.side; });
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
    const double t = same_moment(open->partner->review->alignment, f.time_s, open->review->alignment);
    if (!std::isfinite(t)) return;
    set_time(t);
    held_ = {frame, f.time_s};
    emit frame_changed();
}

std::optional<std::size_t> ReviewState::partner_frame() const {
    if (!open || !beside || beside->track.frames() == 0) return std::nullopt;
    const auto& ts = beside->track.time_s;
    const double t = held_ && held_->first == frame && beside == open->partner
                         ? held_->second
                         : same_moment(open->review->alignment, time(), beside->review->alignment);
    if (!std::isfinite(t)) return std::nullopt;
    const auto i = std::upper_bound(ts.begin(), ts.end(), t + 1e-6) - ts.begin();
    return static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(i - 1, 0, static_cast<std::ptrdiff_t>(ts.size()) - 1));
}

void ReviewState::set_family(Family f) {
    family = f;
    emit view_changed();
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
