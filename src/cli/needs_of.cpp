#include "cli/needs_of.h"
#include "core/days.h"
#include "core/form/pieces.h"
#include "desk/library_forms.h"

namespace bevel::cli {
namespace {

/// The people named, as they are known in that library.
Result<std::vector<PersonNeeds>> known_people(const Library& library, const std::vector<std::string>& names, const Forms& forms) {
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    std::vector<PersonNeeds> out;
    for (const auto& name : names) {
        const Person* found = nullptr;
        for (const auto& p : *people)
            if (p.name == name) found = &p;
        if (!found) return fail(Code::bad_value, "nobody is called '" + name + "' in this library");
        auto one = person_needs(library, found->id, today(), forms);
        if (!one) return tl::unexpected(one.error());
        out.push_back(std::move(*one));
    }
    return out;
}

} // namespace

std::string AskedPlan::person() const {
    if (known.size() != 1) return {};
    return known.front().facts.alias.empty() ? known.front().person.name : known.front().facts.alias;
}

Result<AskedPlan> people_asked_for(const Args& args, const Environment& env) {
    const auto folder = args.text("--library");
    const auto names = args.all("--person");
    AskedPlan out;
    out.forms = shipped_forms(find_data_dir(env.program));
    if (!folder) return out;
    auto library = Library::open(*folder, true);
    if (!library) return tl::unexpected(library.error());
    out.forms = forms_of(*library, out.forms);
    auto people = known_people(*library, names, out.forms);
    if (!people) return tl::unexpected(people.error());
    out.known = std::move(*people);
    return out;
}

void add_what_is_known(AskedPlan& asked) {
    const Needs file = asked.needs;
    Needs& all = asked.needs;
    if (asked.known.size() == 1) know_person(all, asked.known.front());
    if (asked.known.size() > 1) know_group(all, asked.known);
    // What the file asks for stands beside what is known, and limits only ever add up.
    all.limits.insert(file.limits.begin(), file.limits.end());
    for (const auto& [id, version] : file.versions) all.versions[id] = version;
    if (!asked.known.empty()) {
        all.asked.insert(all.asked.begin(), file.asked.begin(), file.asked.end());
        all.practised.insert(all.practised.end(), file.practised.begin(), file.practised.end());
        if (file.balance_step > 0)
            all.balance_step = all.balance_step > 0 ? std::min(all.balance_step, file.balance_step) : file.balance_step;
    }
    asked.movements = *asked.forms.movements;
    if (!all.form) return;
    const auto form = asked.forms.form(std::string(form_prefix) + all.form->form);
    if (form && asked.known.size() == 1 && all.form->weak.empty()) all.form->weak = grow_form(*form, asked.known.front().weak, 0).weak;
    if (form) asked.movements = with_pieces(asked.movements, *form, all.form->mirrored);
}

} // namespace bevel::cli
