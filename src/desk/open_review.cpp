#include "desk/open_review.h"
#include "core/ground/derive.h"
#include "core/practice/plan.h"
#include "core/review/agreed.h"
#include "desk/changes.h"
#include <algorithm>

namespace bevel {

namespace {

constexpr const char *little_energy = "little energy that day", *pain_that_day = "pain that day", *not_taught_yet = "not taught yet";

/// What the day of a clip changes in its bands.
std::vector<BandChange> changes_of_day(const Condition& day) {
    std::vector<BandChange> out;
    if (day.energy && *day.energy <= Needs::tired_at) out = changes_of_tired_day(little_energy);
    for (const auto& care : cares_of_pain(day.pain))
        for (auto& c : changes_of_limit(care, pain_that_day)) out.push_back(std::move(c));
    return out;
}

/// One clip by itself.
Result<std::shared_ptr<OpenReview>> load_one(const Library& library, const Forms& forms, std::int64_t id, const std::string& language) {
    auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    auto track = library.tracks().load(id);
    if (!track) return tl::unexpected(track.error());
    track->layers.mirrored = clip->mirrored;
    auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    const Taught taught = taught_of(library, *clip);
    const auto movement = forms.movement(clip->movement, taught.version);
    if (!movement) return fail(Code::not_found, clip->movement);
    auto open = std::make_shared<OpenReview>();
    open->clip = *clip;
    for (const auto& p : *people)
        if (p.id == clip->person) open->person = p;
    // The height of the day it was filmed.
    if (const auto h = library.people().height_at(clip->person, clip->filmed_on.empty() ? clip->arrived_on : clip->filmed_on))
        open->person.stature_m = *h;
    auto agreements = library.decisions().agreements_for(*clip);
    if (!agreements) return tl::unexpected(agreements.error());
    open->agreements = std::move(*agreements);
    open->taught = taught;
    if (const auto facts = library.people().facts(clip->person)) open->language = facts->language.empty() ? language : facts->language;
    if (const auto c = library.records().condition(id)) open->condition = *c;
    const auto options = review_options(forms, *clip, open->person, open->agreements, taught, open->condition);
    if (const auto form = forms.form(clip->movement)) {
        auto whole = make_form_review(*track, *form, *forms.movements, options);
        if (!whole) return tl::unexpected(whole.error());
        open->whole = *whole;
        open->review = (*whole)->review;
    } else {
        auto review = make_review(*track, *movement, options);
        if (!review) return tl::unexpected(review.error());
        open->review = *review;
    }
    if (clip->as_named != clip->movement)
        if (const auto which = parse_which(clip->which); which && which->movement == clip->movement) open->elsewhere = which->better;
    open->track = drawn_points(*track);
    open->file = library.clips().path_of(*clip);
    open->has_file = library.clips().has_file(*clip);
    auto seen = library.decisions().seen_in(id);
    if (!seen) return tl::unexpected(seen.error());
    open->seen = std::move(*seen);
    open->review = with_seen(std::move(open->review), open->seen);
    if (auto asked = library.records().asked_before(id)) open->asked = std::move(*asked);
    auto decisions = library.decisions().of(id);
    if (!decisions) return tl::unexpected(decisions.error());
    open->decisions = std::move(*decisions);
    return open;
}

/// Filmed at once with the other clip of its pair: reviewed in the room.
void put_in_room(const Library& library, const Forms& forms, OpenReview& open) {
    auto kept = kept_together(library, open.clip, open.person);
    open.at_once = kept.how;
    open.at_once.view = open.review->motion.view;
    const auto movement = forms.movement(open.clip.movement, open.taught.version);
    if (!kept.body || !movement) return;
    if (share_shown(*kept.body, open.review->motion) < least_shown) {
        open.at_once.together = false, open.at_once.why = "brief";
        return;
    }
    const auto options = review_options(forms, open.clip, open.person, open.agreements, open.taught, open.condition);
    auto review = review_in_room(*kept.body, *open.review, *movement, options);
    if (review)
        open.review = with_seen(*review, open.seen);
    else
        open.at_once.together = false, open.at_once.why = review.error().context;
}

/// Filmed obliquely: what the view forbids is told by the body fitted to the clip.
void fill_from_fit(const Library& library, const Forms& forms, OpenReview& open) {
    open.from_fit.wanted = seen_obliquely(open.review->motion);
    if (!open.from_fit.wanted) return;
    const auto kept = kept_alone(library, open.clip, open.person);
    open.from_fit.tried = kept.tried;
    const auto movement = forms.movement(open.clip.movement, open.taught.version);
    if (!kept.body || !movement || share_shown(*kept.body, open.review->motion) < least_shown) return;
    const auto options = review_options(forms, open.clip, open.person, open.agreements, open.taught, open.condition);
    if (auto review = review_filled(*kept.body, *open.review, *movement, options)) {
        open.review = with_seen(*review, open.seen);
        open.from_fit.told = true;
    }
}

/// What was asked again and again and did not become better.
void find_repeated(const Library& library, OpenReview& open) {
    std::optional<Better> better;
    for (const auto& f : open.review->findings) {
        if (f.verdict != Verdict::outside || f.by_hand) continue;
        const auto key = FindingKey::of(f);
        const auto said = library.letters().said_before(open.person.id, open.clip.movement, key.text());
        if (!said || said->times < 3) continue;
        if (!better) {
            auto found = better_in(library, open.clip, *open.review);
            if (!found) return;
            better = std::move(*found);
        }
        if (!better->contains(key.either())) open.repeated[key] = {said->times, said->first};
    }
}
} // namespace

Result<std::shared_ptr<const OpenReview>> load_review(const Library& library, const Forms& forms, std::int64_t id,
                                                      const std::string& language) {
    auto open = load_one(library, forms, id, language);
    if (!open) return tl::unexpected(open.error());
    if ((*open)->clip.pair != 0) {
        // What stands in the way of the other clip does not stand in the way of this one.
        auto other = load_one(library, forms, (*open)->clip.pair, language);
        if (other && !(*open)->whole) put_in_room(library, forms, **open);
        if (other)
            if (auto both = paired(*(*open)->review, (*other)->review)) {
                (*open)->review = with_seen(*both, (*open)->seen);
                (*open)->partner = *other;
            }
    }
    if ((*open)->clip.pair == 0 && !(*open)->whole) fill_from_fit(library, forms, **open);
    if (auto phrases = library.letters().phrases("", "", "", (*open)->language)) (*open)->phrases = std::move(*phrases);
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
        f.check = FindingKey::seen_check(s.id);
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

std::shared_ptr<const OpenReview> judged_by_bands(const OpenReview& open, const Forms& forms, const std::vector<Decision>& decisions) {
    const auto now = forms.movement(open.clip.movement, open.taught.version);
    if (!now || open.partner || open.whole) return {};
    const auto options = review_options(forms, open.clip, open.person, open.agreements, open.taught, open.condition);
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
    if (const auto facts = library.people().facts(clip.person); facts && clip.person != 0)
        for (const auto& t : facts->taught)
            if (t.movement == clip.movement) return {t.movement, clip.version.value_or(t.version), t.up_to};
    return {clip.movement, clip.version.value_or(""), ""};
}

ReviewOptions review_options(const Forms& forms, const Clip& clip, const Person& person, const std::vector<Agreement>& agreements,
                             const Taught& taught, const Condition& day) {
    ReviewOptions o;
    o.clip = changes_of_day(day);
    o.view = view_from_name(clip.view);
    if (person.height_said) o.stature_m = person.stature_m;
    o.mirrored = clip.mirrored;
    o.states = clip.states;
    o.own = person.neutral.for_clip(clip.id);
    if (person.shoulder_width_m > 0) o.shoulder_width_m = person.shoulder_width_m;
    if (clip.as_named != clip.movement)
        if (const auto which = parse_which(clip.which); which && which->movement == clip.movement) o.elsewhere = which->better;
    if (const auto s = forms.school(clip.school)) o.school = s->changes;
    for (const auto& a : agreements) {
        if (const auto limit = limit_of(a.check); !limit.empty()) {
            for (auto& c : changes_of_limit(limit, a.reason)) o.adaptations.push_back(std::move(c));
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
    if (const auto m = forms.movement(clip.movement, taught.version); m && !taught.up_to.empty()) {
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
            c.reason = not_taught_yet;
            o.adaptations.push_back(std::move(c));
        }
    }
    return o;
}

const std::vector<std::string>& reasons_said() {
    static const std::vector<std::string> all{little_energy, pain_that_day, not_taught_yet};
    return all;
}

Decision decision_of(const std::vector<Decision>& decisions, const Finding& f) {
    Decision out;
    out.key = FindingKey::of(f);
    const Decision* best = nullptr; // of this very end of the band, else of an older one that names none
    for (const auto& d : decisions)
        if (d.key == out.key || (!best && d.key.means(f))) best = &d;
    if (best) out.choice = best->choice, out.wording = best->wording, out.note = best->note;
    return out;
}

} // namespace bevel
