// bevel-cli plan: from what is at hand and asked for to a session.
#include "cli/args.h"
#include "cli/commands.h"
#include "core/days.h"
#include "core/files.h"
#include "core/form/pieces.h"
#include "desk/library_forms.h"
#include "desk/needs.h"
#include "desk/needs_file.h"
#include <cstdio>

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

int plan(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--library", "--person"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o"), folder = args->text("--library");
    const auto names = args->all("--person");
    if (args->positional.size() != 1 || !out) return wrong_use("plan takes needs.json and -o plan.json");
    if (folder.has_value() != !names.empty()) return wrong_use("--library and --person belong together");
    const auto text = read_text(args->positional[0], 1U << 20U);
    if (!text) return complain(text.error());
    Forms forms = shipped_forms(find_data_dir(env.program));
    std::vector<PersonNeeds> known;
    if (folder) {
        auto library = Library::open(*folder, true);
        if (!library) return complain(library.error());
        forms = forms_of(*library, forms);
        auto people = known_people(*library, names, forms);
        if (!people) return complain(people.error());
        known = std::move(*people);
    }
    auto needs = parse_needs(*text, *forms.movements, *forms.linked);
    if (!needs) return complain({Code::unreadable, args->positional[0] + ": " + needs.error().context});
    Needs all = *needs;
    if (known.size() == 1) know_person(all, known.front());
    if (known.size() > 1) know_group(all, known);
    // What the file asks for stands beside what is known, and limits only ever add up.
    all.limits.insert(needs->limits.begin(), needs->limits.end());
    for (const auto& [id, version] : needs->versions) all.versions[id] = version;
    if (!known.empty()) {
        all.asked.insert(all.asked.begin(), needs->asked.begin(), needs->asked.end());
        all.practised.insert(all.practised.end(), needs->practised.begin(), needs->practised.end());
        if (needs->balance_step > 0)
            all.balance_step = all.balance_step > 0 ? std::min(all.balance_step, needs->balance_step) : needs->balance_step;
    }
    std::vector<Movement> movements = *forms.movements;
    if (all.form) {
        const auto form = forms.form(std::string(form_prefix) + all.form->form);
        if (form && known.size() == 1 && all.form->weak.empty()) all.form->weak = grow_form(*form, known.front(), 0).weak;
        if (form) movements = with_pieces(movements, *form, all.form->mirrored);
    }
    auto made = propose(all, movements);
    if (!made) return complain({Code::cannot_judge, "no plan: " + made.error().context});
    if (known.size() == 1) made->person = known.front().facts.alias.empty() ? known.front().person.name : known.front().facts.alias;
    for (const auto& i : made->items) {
        const Movement* m = movement_named(movements, i.movement);
        const auto piece = PieceId::read(i.movement);
        std::string name = m ? m->name : "";
        if (piece && piece->from == piece->to)
            name += ", part " + std::to_string(piece->from);
        else if (piece)
            name += (piece->join ? ", from part " : ", parts ") + std::to_string(piece->from) + (piece->join ? " into " : " to ") +
                    std::to_string(piece->to);
        std::printf("%6.1f min  %-10s %s%s%s%s\n", i.seconds() / 60, std::string(plan_part_name(i.part)).c_str(), name.c_str(),
                    i.version.empty() ? "" : (", " + i.version).c_str(), i.drill.empty() ? "" : (", drill: " + i.drill).c_str(),
                    i.support ? ", with support" : "");
    }
    if (auto ok = write_whole(*out, plan_text(*made)); !ok) return complain(ok.error());
    return 0;
}

} // namespace bevel::cli
