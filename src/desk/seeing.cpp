#include "desk/seeing.h"
#include <algorithm>

namespace bevel {
namespace {

Result<bool> may_be_seen(const Library& library, const Clip& c, const std::string& day) {
    if (c.person == 0) return false; // nobody has said whose it is
    const auto facts = library.people().facts(c.person);
    if (!facts) return tl::unexpected(facts.error());
    return agrees(*facts, Purpose::learned, day);
}

} // namespace

Result<std::vector<Clip>> clips_to_see(const Library& library, const Forms& forms, const std::string& day) {
    const auto all = library.clips().all();
    if (!all) return tl::unexpected(all.error());
    std::map<std::int64_t, bool> agreed;
    std::vector<Clip> out;
    for (const auto& c : *all) {
        if ((c.state != ClipState::tracked && c.state != ClipState::reviewed) || c.film_dropped || c.file.empty()) continue;
        const auto m = forms.movement(c.movement);
        if (!m || m->checks.empty() || forms.form(c.movement)) continue; // of a form: part by part, which is not asked here
        auto known = agreed.find(c.person);
        if (known == agreed.end()) {
            const auto may = may_be_seen(library, c, day);
            if (!may) return tl::unexpected(may.error());
            known = agreed.emplace(c.person, *may).first;
        }
        if (known->second && library.clips().has_file(c)) out.push_back(c);
    }
    return out;
}

Result<ClipToSee> clip_to_see(const Library& library, const Forms& forms, std::int64_t clip, const std::string& day) {
    const auto c = library.clips().get(clip);
    if (!c) return tl::unexpected(c.error());
    const auto may = may_be_seen(library, *c, day);
    if (!may) return tl::unexpected(may.error());
    if (!*may) return fail(Code::cannot_judge, "consent");
    auto open = load_review(library, forms, clip, {});
    if (!open) return tl::unexpected(open.error());
    if (!(*open)->has_file || (*open)->whole || !(*open)->review->held_back.empty()) return fail(Code::cannot_judge, "exercise");
    const OpenReview& o = **open;
    std::shared_ptr<const Review> review = o.review;
    if (o.partner) { // told by two cameras: whoever looks has this one
        const auto movement = forms.movement(c->movement, o.taught.version);
        if (!movement) return fail(Code::not_found, c->movement);
        const auto options = review_options(forms, *c, o.person, o.agreements, o.taught, o.condition);
        auto alone = make_review(seen_by(o.track, options), *movement, options);
        if (!alone) return tl::unexpected(alone.error());
        review = std::move(*alone);
        if (!review->held_back.empty()) return fail(Code::cannot_judge, "exercise");
    }
    std::vector<FindingKey> aside;
    for (const auto& d : o.decisions)
        if (d.choice == Choice::set_aside) aside.push_back(d.key);
    return ClipToSee{*open, review, what_is_there(*review, aside), sayables(review->movement)};
}

} // namespace bevel
