#include "desk/letter.h"
#include "core/review/trend.h"
#include "desk/needs.h"
#include <algorithm>

namespace bevel {
namespace {

bool is_said(const Finding& f) {
    return f.verdict == Verdict::outside || f.verdict == Verdict::edge;
}

} // namespace

Result<LetterMatter> letter_matter(const OpenReview& open, const LetterRecord& record, const Library& library) {
    if (!open.review->held_back.empty()) return fail(Code::cannot_judge, "held_back"); // nothing is judged, nothing is to be said
    LetterMatter out;
    auto decisions = library.decisions().of(open.clip.id);
    if (!decisions) return tl::unexpected(decisions.error());
    out.decisions = std::move(*decisions);
    auto better = better_in(library, open.clip, *open.review);
    if (!better) return tl::unexpected(better.error());
    out.better = std::move(*better);
    const auto& findings = open.review->findings;
    // What is no longer told or outside (another height, another school) is not sent, and not left out in silence either.
    for (const auto& text : record.checks) {
        const auto key = FindingKey::read(text);
        if (std::none_of(findings.begin(), findings.end(), [&](const Finding& f) { return key.means(f) && is_said(f); }))
            return fail(Code::no_longer_so, text);
    }
    for (const auto& f : findings) {
        const auto remark = remark_of(f, findings);
        if (remark.front() != &f || !is_said(f)) continue;
        if (std::any_of(record.checks.begin(), record.checks.end(),
                        [&](const std::string& k) { return means_one_of(FindingKey::read(k), remark); }))
            out.corrections.push_back(f);
    }
    const auto praise = Praise::read(record.praise);
    if (praise.better) {
        if (!out.better.contains(praise.key)) return fail(Code::no_longer_so, praise.key.text());
        out.grown = praise.key;
    } else if (!praise.empty()) {
        const auto f = std::find_if(findings.begin(), findings.end(),
                                    [&](const Finding& x) { return praise.key.means(x) && x.verdict == Verdict::inside; });
        if (f != findings.end()) out.inside = *f;
    }
    return out;
}

std::vector<std::int64_t> visit_beside(const Library& library, const Clip& clip) {
    std::vector<std::int64_t> out;
    const auto waiting = library.letters().waiting();
    if (!waiting || clip.person == 0) return out;
    const double day = day_number(clip.arrived_on);
    for (const auto& w : *waiting) {
        if (w.person != clip.person || w.unnamed || w.clip == clip.id || w.clip == clip.pair) continue;
        if (std::abs(day - day_number(w.arrived_on)) <= visit_days) out.push_back(w.clip);
    }
    return out;
}

bool same_visit(const Waiting& a, const Waiting& b) {
    return !a.unnamed && !b.unnamed && a.person == b.person && std::abs(day_number(a.arrived_on) - day_number(b.arrived_on)) <= visit_days;
}

std::vector<Waiting> by_visit(const std::vector<Waiting>& waiting) {
    std::vector<Waiting> out;
    std::vector<bool> taken(waiting.size());
    for (std::size_t i = 0; i < waiting.size(); ++i) {
        if (taken[i]) continue;
        out.push_back(waiting[i]);
        for (std::size_t k = i + 1; k < waiting.size(); ++k) {
            if (taken[k] || !same_visit(waiting[i], waiting[k])) continue;
            out.push_back(waiting[k]);
            taken[k] = true;
        }
    }
    return out;
}

Result<std::vector<std::shared_ptr<const OpenReview>>> load_visit(const Library& library, const Forms& forms, const LetterRecord& record,
                                                                  std::int64_t person, const std::string& language) {
    std::vector<std::shared_ptr<const OpenReview>> out;
    for (const auto& p : record.also) {
        auto open = load_review(library, forms, p.clip, language);
        if (!open || (*open)->person.id != person) return fail(Code::no_longer_so, "visit");
        out.push_back(std::move(*open));
    }
    return out;
}

bool answered_elsewhere(const Library& library, const LetterRecord& record) {
    if (record.goes_with == 0) return false;
    const auto letters = library.letters().of(record.goes_with);
    if (!letters || letters->empty()) return false; // its clip was deleted
    const auto& also = letters->front().also;
    return std::any_of(also.begin(), also.end(), [&](const LetterPart& p) { return p.clip == record.clip; });
}

LetterRecord part_record(const LetterRecord& record, const LetterPart& part) {
    LetterRecord r = record;
    r.clip = part.clip, r.checks = part.checks, r.with = part.with;
    r.praise.clear(), r.also.clear();
    return r;
}

HomeGate home_gate(const OpenReview& open, const Library& library, const Forms& forms, const std::string& day) {
    HomeGate out;
    out.hurt = !open.condition.pain.empty();
    const auto person = person_needs(library, open.person.id, day, forms);
    if (!person) { // nobody knows: nothing passes
        for (const auto& m : *forms.movements) out.barred[m.id] = LeftOut::Code::limit;
        return out;
    }
    Needs needs;
    know_person(needs, *person);
    const auto& shown = open.review->movement;
    const auto form = forms.form(open.clip.movement);
    // Who is filmed with a staff has one.
    const auto with_staff = [&](const std::string& id) {
        const Movement* m = movement_named(*forms.movements, id);
        return m && traits_of(*m).stick;
    };
    needs.stick = needs.stick || with_staff(shown.id);
    if (form)
        for (const auto& part : form->parts) needs.stick = needs.stick || with_staff(part.movement);
    for (const auto& m : *forms.movements) {
        // As it was done in the clip; another one in the way the gate would choose for the person.
        const auto why = m.id == shown.id ? barred(m, shown.version, needs) : pass(m, needs).barred;
        if (why) out.barred[m.id] = *why;
        if (m.id == shown.id) out.itself = !why && !out.hurt;
    }
    // A whole form is barred by the first of its parts that is, in the version the form has of it.
    if (form)
        for (const auto& part : form->parts)
            if (const Movement* m = movement_named(*forms.movements, part.movement))
                if (const auto why = barred(*m, part.version, needs)) {
                    out.barred[shown.id] = *why;
                    break;
                }
    return out;
}

WithCorrection proposed_with(const Movement& movement, const Finding& f, bool first, bool at_home) {
    WithCorrection w;
    const auto helps = [&](const Drill& d) { return std::find(d.rules.begin(), d.rules.end(), f.rule) != d.rules.end(); };
    if (const auto d = std::find_if(movement.drills.begin(), movement.drills.end(), helps); at_home && d != movement.drills.end())
        w.drill = d->name;
    if (first && !movement.images.empty()) w.image = movement.images.front();
    if (first && at_home) w.homework = {movement.id, 1, std::max(1, movement.repetitions), 0};
    return w;
}

SentLetter sent_of(const OpenReview& open, const LetterRecord& record, const std::string& kind, const std::filesystem::path& file,
                   const std::string& now) {
    SentLetter s;
    s.person = open.person.id;
    s.clip = open.clip.id;
    s.sent_at = now;
    s.kind = kind;
    s.name = file.filename().string();
    s.hidden = record.hide_identity;
    return s;
}

} // namespace bevel
