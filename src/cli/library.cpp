// bevel-cli library: what a nightly script or a school's own tools do with a library without a window. Locked as by a window.
#include "cli/args.h"
#include "cli/commands.h"
#include "core/days.h"
#include "desk/intake.h"
#include "desk/library_forms.h"
#include "media/tracker.h"
#include "store/bundle.h"
#include <cstdio>
#include <iostream>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

int check(const Args& args, const Environment& env) {
    if (args.positional.size() != 1) return wrong_use("library check takes one FOLDER");
    const auto lib = Library::open(args.positional[0], true);
    if (!lib) return complain(lib.error());
    const auto people = lib->people().all();
    const auto clips = lib->clips().all();
    if (!people || !clips) return complain(people ? clips.error() : people.error());
    const auto films = lib->backups().check_films(env.stop);
    if (!films) return complain(films.error());
    std::printf("people %zu\nclips %zu\nfilms whole %d\nfilms missing %d\nrows that point nowhere %d\n", people->size(), clips->size(),
                films->films, films->missing, lib->dangling());
    for (const auto& name : films->damaged) std::printf("damaged %s\n", name.c_str());
    return films->damaged.empty() && lib->dangling() == 0 ? 0 : 3;
}

int say_backed_up(const BackedUp& done) {
    for (const auto& name : done.damaged) std::fprintf(stderr, "left out, damaged: %s\n", name.c_str());
    std::printf("films %d\nmissing %d\n", done.films, done.missing);
    return 0;
}

int backup(const Args& args, const Environment& env) {
    const auto out = args.text("-o");
    if (args.positional.size() != 1 || !out) return wrong_use("library backup takes one FOLDER and -o FILE.tar");
    auto lib = Library::open(args.positional[0]);
    if (!lib) return complain(lib.error());
    const auto done = lib->backups().write(*out, today(), args.flag("--without-damaged"), env.stop);
    return done ? say_backed_up(*done) : complain(done.error());
}

int restore(const Args& args, const Environment& env) {
    const auto out = args.text("-o");
    if (args.positional.size() != 1 || !out) return wrong_use("library restore takes one FILE.tar and -o FOLDER");
    const auto done = Library::restore(args.positional[0], *out, args.flag("--without-damaged"), env.stop);
    return done ? say_backed_up(*done) : complain(done.error());
}

int bundle(const Args& args, const Environment& env) {
    const auto out = args.text("-o"), name = args.text("--person");
    if (args.positional.size() != 1 || !out || !name) return wrong_use("library bundle takes one FOLDER, --person NAME and -o FILE.zip");
    auto lib = Library::open(args.positional[0], true);
    if (!lib) return complain(lib.error());
    const auto people = lib->people().all();
    if (!people) return complain(people.error());
    for (const auto& p : *people)
        if (p.name == *name) {
            BundleOptions o;
            o.films = args.flag("--films");
            const auto ok = write_bundle(*lib, p.id, *out, o, env.stop);
            return ok ? 0 : complain(ok.error());
        }
    return wrong_use("nobody is called '" + *name + "' in this library");
}

/// Films are taken in and their bodies found, as by a window; a bundle is taken in as somebody new.
int import(const Args& args, const Environment& env) {
    if (args.positional.size() < 2) return wrong_use("library import takes FOLDER and at least one clip or bundle");
    auto lib = Library::open(args.positional[0]);
    if (!lib) return complain(lib.error());
    const Forms forms = forms_of(*lib, shipped_forms(find_data_dir(env.program)));
    int worst = 0;
    for (std::size_t i = 1; i < args.positional.size() && worst != 130; ++i) {
        const fs::path file = args.positional[i];
        const auto trouble = [&](const Error& e) { worst = std::max(worst, complain(e)); };
        if (file.extension() == ".zip") {
            if (const auto id = read_bundle(*lib, file, env.stop); !id)
                trouble(id.error());
            else
                std::printf("%s: person %lld\n", file.c_str(), static_cast<long long>(*id));
            continue;
        }
        const auto taken = take_in(*lib, file, args.flag("--even-if-same"), args.flag("--mirrored"), env.stop, {});
        if (!taken) {
            trouble(taken.error());
            continue;
        }
        if (taken->same) {
            std::printf("%s: there already, clip %lld\n", file.c_str(), static_cast<long long>(taken->same->id));
            continue;
        }
        std::printf("%s: clip %lld\n", file.c_str(), static_cast<long long>(taken->clip));
        std::fflush(stdout);
        if (args.flag("--do-not-find")) continue; // the next window does
        const auto clip = lib->clips().get(taken->clip);
        if (!clip) {
            trouble(clip.error());
            continue;
        }
        FindOrder order{*clip, {}, std::nullopt, {}};
        order.options.model_dir = find_model_dir(env.program);
        if (const auto why = find_body(
                *lib, [&] { return forms; }, order, env.stop))
            trouble(*why);
    }
    return worst;
}

int people(const Args& args, const Environment&) {
    if (args.positional.size() != 1) return wrong_use("library people takes one FOLDER");
    const auto lib = Library::open(args.positional[0], true);
    if (!lib) return complain(lib.error());
    const auto all = lib->people().all();
    if (!all) return complain(all.error());
    for (const auto& p : *all) {
        ClipQuery of;
        of.person = p.id;
        of.most = 100000;
        const auto clips = lib->clips().find(of);
        if (!clips) return complain(clips.error());
        std::size_t n = 0;
        std::string last;
        for (const auto& c : *clips)
            if (c.person == p.id) {
                ++n;
                last = std::max(last, c.filmed_on.empty() ? c.arrived_on : c.filmed_on);
            }
        std::printf("%lld\t%s\t%zu\t%s\n", static_cast<long long>(p.id), p.name.c_str(), n, last.c_str());
    }
    return 0;
}

int search(const Args& args, const Environment& env) {
    if (args.positional.size() < 2) return wrong_use("library search takes FOLDER and at least one word");
    const auto lib = Library::open(args.positional[0], true);
    if (!lib) return complain(lib.error());
    const Forms forms = forms_of(*lib, shipped_forms(find_data_dir(env.program)));
    const auto lower = [](std::string s) {
        for (char& c : s)
            if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
        return s;
    };
    ClipQuery query;
    query.most = 100000;
    for (std::size_t i = 1; i < args.positional.size(); ++i) {
        ClipQuery::Word w;
        w.text = args.positional[i];
        for (const auto& m : *forms.movements)
            if (lower(m.name).find(lower(w.text)) != std::string::npos || m.id == w.text) w.movements.push_back(m.id);
        query.words.push_back(std::move(w));
    }
    const auto found = list_clips(*lib, query);
    if (!found) return complain(found.error());
    for (const auto& row : found->rows)
        std::printf("%lld\t%s\t%s\t%s\t%s\n", static_cast<long long>(row.clip.id),
                    (row.clip.filmed_on.empty() ? row.clip.arrived_on : row.clip.filmed_on).c_str(), row.person.name.c_str(),
                    row.clip.movement.c_str(), std::string(state_name(row.clip.state)).c_str());
    return 0;
}

} // namespace

int library(const Words& words, const Environment& env) {
    struct Command {
        const char* name;
        std::set<std::string> options, flags;
        int (*run)(const Args&, const Environment&);
    };
    static const std::vector<Command> commands{
        {"check", {}, {}, check},
        {"backup", {"-o"}, {"--without-damaged"}, backup},
        {"restore", {"-o"}, {"--without-damaged"}, restore},
        {"bundle", {"-o", "--person"}, {"--films"}, bundle},
        {"import", {}, {"--even-if-same", "--mirrored", "--do-not-find"}, import},
        {"people", {}, {}, people},
        {"search", {}, {}, search},
    };
    if (words.empty()) return wrong_use("library takes check, backup, restore, bundle, import, people or search");
    for (const auto& c : commands) {
        if (words[0] != c.name) continue;
        const auto args = Args::parse({words.begin() + 1, words.end()}, c.options, c.flags);
        return args ? c.run(*args, env) : complain(args.error());
    }
    return wrong_use("library knows no '" + words[0] + "'");
}

} // namespace bevel::cli
