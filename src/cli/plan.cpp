// bevel-cli plan: from what is at hand and asked for to a session.
#include "cli/needs_of.h"
#include "core/files.h"
#include "core/form/pieces.h"
#include "desk/needs_file.h"
#include <cstdio>

namespace bevel::cli {
int plan(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--library", "--person"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o"), folder = args->text("--library");
    const auto names = args->all("--person");
    if (args->positional.size() != 1 || !out) return wrong_use("plan takes needs.json and -o plan.json");
    if (folder.has_value() != !names.empty()) return wrong_use("--library and --person belong together");
    const auto text = read_text(args->positional[0], 1U << 20U);
    if (!text) return complain(text.error());
    const auto asked = asked_plan(*args, env, [&](const AskedPlan& a) -> Result<Needs> {
        auto needs = parse_needs(*text, *a.forms.movements, *a.forms.linked);
        if (!needs) return fail(Code::unreadable, args->positional[0] + ": " + needs.error().context);
        return needs;
    });
    if (!asked) return complain(asked.error());
    const auto& movements = asked->movements;
    auto made = propose(asked->needs, movements);
    if (!made) return complain({Code::cannot_judge, "no plan: " + made.error().context});
    made->person = asked->person();
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
