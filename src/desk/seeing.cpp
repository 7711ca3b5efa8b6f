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
    std::vector<FindingKey> aside;
    for (const auto& d : (*open)->decisions)
        if (d.choice == Choice::set_aside) aside.push_back(d.key);
    ClipToSee out{*open, what_is_there(*(*open)->review, aside), sayables((*open)->review->movement)};
    return out;
}

} // namespace bevel
