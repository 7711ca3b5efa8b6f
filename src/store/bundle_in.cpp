// One person on the way in from a zip: each value checked for its shape, each name for its form.
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/files.h"
#include "store/bundle.h"
#include "store/bundle_format.h"
#include "store/track_blob.h"
#include <algorithm>
#include <cmath>
#include <fstream>
#include <nlohmann/json.hpp>
#include <set>
#include <zip.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;
using json = nlohmann::json;
using ReadZip = std::unique_ptr<zip_t, decltype([](zip_t* z) { zip_discard(z); })>;
using ZipEntry = std::unique_ptr<zip_file_t, decltype([](zip_file_t* f) { zip_fclose(f); })>;

/// What is wrong in a record, and where.
struct Bad {
    std::string where;
};

const json& part(const json& j, const char* key, json::value_t type) {
    if (!j.is_object() || !j.contains(key)) throw Bad{key};
    const json& v = j[key];
    const bool number = type == json::value_t::number_float && v.is_number();
    if (!number && v.type() != type && !(type == json::value_t::number_integer && v.is_number_integer())) throw Bad{key};
    return v;
}
std::string text(const json& j, const char* key, std::size_t most = 20000) {
    const auto& v = part(j, key, json::value_t::string).get_ref<const std::string&>();
    if (v.size() > most) throw Bad{key};
    return v;
}
double number(const json& j, const char* key, double low, double high) {
    const double v = part(j, key, json::value_t::number_float).get<double>();
    if (!(v >= low && v <= high)) throw Bad{key};
    return v;
}
std::optional<double> maybe_number(const json& j, const char* key) {
    if (!j.is_object() || !j.contains(key)) throw Bad{key};
    if (j[key].is_null()) return std::nullopt;
    return number(j, key, -1e9, 1e9);
}
bool flag(const json& j, const char* key) {
    return part(j, key, json::value_t::boolean).get<bool>();
}
const json& list(const json& j, const char* key, std::size_t most) {
    const json& v = part(j, key, json::value_t::array);
    if (v.size() > most) throw Bad{key};
    return v;
}
/// An ISO day or nothing.
std::string day(const json& j, const char* key) {
    std::string d = text(j, key, 10);
    if (!is_day(d)) throw Bad{key};
    return d;
}

Result<std::string> entry(zip_t* z, const std::string& name, std::uint64_t most) {
    zip_stat_t st;
    zip_stat_init(&st);
    if (zip_stat(z, name.c_str(), 0, &st) != 0 || !(st.valid & ZIP_STAT_SIZE)) return fail(Code::unreadable, name);
    if (st.size > most) return fail(Code::too_large, name);
    const ZipEntry f(zip_fopen(z, name.c_str(), 0));
    if (!f) return fail(Code::unreadable, name);
    std::string out;
    std::array<char, 1 << 16> piece{};
    for (;;) {
        const auto n = zip_fread(f.get(), piece.data(), piece.size());
        if (n < 0) return fail(Code::unreadable, name); // checksum, or cut off
        if (n == 0) break;
        // What the head says is not believed: a bomb ends here.
        if (out.size() + static_cast<std::size_t>(n) > most) return fail(Code::too_large, name);
        out.append(piece.data(), static_cast<std::size_t>(n));
    }
    return out;
}

/// "clips/12.track": of a fixed form, so that no name leads anywhere else.
std::string entry_name(const json& j, const char* key, const std::string& folder, const std::set<std::string>& endings) {
    const std::string n = text(j, key, 60);
    const auto dot = n.find('.');
    if (!n.starts_with(folder) || dot == std::string::npos || dot == folder.size() || !endings.contains(n.substr(dot)) ||
        !std::all_of(n.begin() + static_cast<std::ptrdiff_t>(folder.size()), n.begin() + static_cast<std::ptrdiff_t>(dot),
                     [](char c) { return c >= '0' && c <= '9'; }))
        throw Bad{key};
    return n;
}

KeptFigure figure_of(const json& j, const Clip& c, std::int64_t id) {
    KeptFigure f;
    f.clip = id;
    f.day = c.filmed_on.empty() ? c.arrived_on : c.filmed_on;
    f.movement = c.movement;
    f.check = text(j, "check", 200), f.side = text(j, "side", 10), f.measure = text(j, "measure", 200), f.unit = text(j, "unit", 20),
    f.view = text(j, "view", 20);
    f.value = number(j, "value", -1e9, 1e9), f.own = number(j, "own", 0, 1e9), f.of_clip = number(j, "of_clip", 0, 1e9),
    f.person = number(j, "person", 0, 1e9);
    f.low = maybe_number(j, "low"), f.high = maybe_number(j, "high");
    f.matters = number(j, "matters", 0, 1e9);
    f.judged = static_cast<int>(number(j, "judged", 0, 1e6));
    f.reference = flag(j, "reference");
    if (j.contains("version")) f.version = text(j, "version", 200);
    return f;
}

/// Throws Bad for what is not as it should be; an error of the library is handed on.
struct BundleReader {
    Library& library;
    zip_t* z;
    std::stop_token stop;
    std::map<std::string, std::string> films; // by the name of the entry: the library's own name of what is there already

    template <class T> T must(Result<T> r) {
        if (!r) throw r.error();
        return std::move(*r);
    }

    std::int64_t person(const json& j) {
        Person p;
        p.name = text(j, "name", 200);
        if (p.name.empty()) throw Bad{"name"};
        p.notes = text(j, "notes");
        const json& grown = list(j, "heights", 1000);
        p.height_said = !grown.empty();
        if (p.height_said) p.stature_m = number(grown.back(), "metres", 0.8, 2.5);
        p.shoulder_width_m = number(j, "shoulder_width_m", 0, 1);
        // Somebody of the same name is somebody else.
        const auto people = must(library.people().all());
        const std::string name = p.name;
        for (int n = 2; std::any_of(people.begin(), people.end(), [&](const Person& x) { return x.name == p.name; }); ++n)
            p.name = name + " (" + std::to_string(n) + ")";
        const auto id = must(library.people().add(p, p.height_said ? day(grown.front(), "day") : std::string()));
        for (const auto& h : grown) must(library.people().set_height(id, day(h, "day"), number(h, "metres", 0.8, 2.5)));
        if (p.shoulder_width_m > 0) must(library.people().set_shoulder_width(id, p.shoulder_width_m));
        const double fist = number(j, "fist_m", 0, 0.5), foot = number(j, "foot_m", 0, 0.5);
        if (fist > 0 || foot > 0) must(library.people().set_own_units(id, fist, foot));
        if (const auto until = day(j, "keep_until"); !until.empty()) must(library.people().set_keep_until(id, until));
        PersonFacts f;
        f.alias = text(j, "alias", 200), f.goals = text(j, "goals"), f.consent = text(j, "consent");
        f.language = text(j, "language", 10), f.email = text(j, "email", 400);
        if (j.contains("consents")) // not in older ones
            for (const auto& c : list(j, "consents", 1000))
                for (int k = 0; k < purposes; ++k)
                    if (text(c, "purpose", 20) == purpose_name(static_cast<Purpose>(k)))
                        f.consents.push_back({static_cast<Purpose>(k), day(c, "from"), day(c, "until")});
        if (j.contains("lengths")) f.lengths = text(j, "lengths", 2); // not in older ones
        if (j.contains("balance_step")) f.balance_step = static_cast<int>(number(j, "balance_step", 0, 7));
        for (const auto& t : list(j, "taught", 1000))
            f.taught.push_back({text(t, "movement", 200), text(t, "version", 200), text(t, "up_to", 200)});
        must(library.people().set_facts(id, f));
        return id;
    }

    std::int64_t clip(const json& j, std::int64_t person) {
        if (stop.stop_requested()) throw Error{Code::cancelled, ""};
        Clip c;
        c.person = person;
        c.movement = text(j, "movement", 200), c.school = text(j, "school", 200), c.view = text(j, "view", 20);
        c.filmed_on = day(j, "filmed_on"), c.arrived_on = day(j, "arrived_on");
        c.mirrored = flag(j, "mirrored");
        c.footwear = text(j, "footwear", 40), c.surface = text(j, "surface", 40), c.named = text(j, "named", 400);
        if (j.contains("version")) c.version = text(j, "version", 200); // not in older ones
        c.state = flag(j, "reviewed") ? ClipState::reviewed : ClipState::tracked;
        std::int64_t id = 0;
        if (j.contains("film")) {
            const auto name = entry_name(j, "film", "clips/", {".mp4", ".mov", ".webm", ".mkv", ".avi", ".m4v"});
            const auto at = films.find(name);
            if (at == films.end()) throw Bad{"film"};
            id = must(library.clips().adopt(c, at->second, fs::path(name).filename().string()));
        } else {
            id = must(library.clips().add_record(c));
        }
        if (j.contains("points")) {
            const auto bytes = must(entry(z, entry_name(j, "points", "clips/", {".track"}), bundle_points));
            must(library.tracks().save(id, must(unpack_track(bytes))));
            c.id = id;
            must(library.clips().set_facts(c));
            must(library.clips().set_state(id, c.state, ""));
        } else {
            must(library.clips().set_state(id, ClipState::failed, "no_body"));
        }
        for (const auto& d : list(j, "decisions", 10000))
            must(library.decisions().save(id, {text(d, "check", 200), text(d, "side", 10),
                                               static_cast<Choice>(static_cast<int>(number(d, "choice", 0, 2))), text(d, "wording"),
                                               text(d, "note")}));
        for (const auto& s : list(j, "seen", 10000))
            must(library.decisions().save_seen({0, id, number(s, "time_s", 0, 1e6), static_cast<int>(number(s, "part", 0, 7)),
                                                text(s, "side", 10), flag(s, "safety"), text(s, "words")}));
        std::vector<KeptFigure> figures;
        for (const auto& f : list(j, "figures", 2000)) figures.push_back(figure_of(f, c, id));
        if (!figures.empty()) must(library.records().keep_figures(id, figures));
        const json& day_of = part(j, "condition", json::value_t::object);
        Condition condition;
        condition.pain = text(day_of, "pain");
        if (const auto e = maybe_number(day_of, "energy")) condition.energy = static_cast<int>(*e);
        if (!condition.pain.empty() || condition.energy) must(library.records().set_condition(id, condition));
        return id;
    }

    /// The films that record.json names, each once, written where they belong before anything is recorded of them: a run that is killed
    /// leaves them in the list of what is cleared away.
    void take_films(const json& j) {
        std::set<std::string> names;
        std::uint64_t all = 0;
        for (const auto& c : list(j, "clips", bundle_entries / 4)) {
            if (!c.is_object() || !c.contains("film")) continue;
            const auto name = entry_name(c, "film", "clips/", {".mp4", ".mov", ".webm", ".mkv", ".avi", ".m4v"});
            if (!names.insert(name).second) throw Bad{"film: " + name + " twice"};
            zip_stat_t st;
            zip_stat_init(&st);
            if (zip_stat(z, name.c_str(), 0, &st) != 0 || !(st.valid & ZIP_STAT_SIZE)) throw Error{Code::unreadable, name};
            if (st.size > bundle_film || (all += st.size) > bundle_films) throw Error{Code::too_large, name};
        }
        std::error_code ec;
        const auto room = fs::space(library.folder(), ec);
        if (!ec && room.available < all + (64U << 20U)) throw Error{Code::write_failed, library.folder().string()};
        for (const auto& name : names) {
            const auto ours = must(library.clips().reserve_film(fs::path(name).stem().string(), fs::path(name).extension().string()));
            films[name] = ours;
            write_film(name, library.folder() / ours);
        }
    }

    void write_film(const std::string& name, const fs::path& to) {
        const ZipEntry f(zip_fopen(z, name.c_str(), 0));
        if (!f) throw Error{Code::unreadable, name};
        auto part = to;
        part += unfinished; // such names are cleared away in any case; one with another ending might be a clip's own
        std::ofstream file(part, std::ios::binary | std::ios::trunc);
        std::vector<char> piece(1 << 20);
        std::uint64_t all = 0;
        for (;;) {
            if (stop.stop_requested()) throw Error{Code::cancelled, ""};
            const auto n = zip_fread(f.get(), piece.data(), piece.size());
            if (n < 0) throw Error{Code::unreadable, name};
            if (n == 0) break;
            all += static_cast<std::uint64_t>(n);
            if (all > bundle_film) throw Error{Code::too_large, name};
            file.write(piece.data(), n);
            if (!file) throw Error{Code::write_failed, to.string()};
        }
        file.close();
        if (!file) throw Error{Code::write_failed, to.string()};
        must(put_whole_in_place(part, to));
    }

    void test(const json& j, std::int64_t person, const std::vector<std::int64_t>& clips) {
        KeptTest t;
        t.person = person;
        t.day = day(j, "day"), t.view = text(j, "view", 20), t.words = text(j, "words", 2000);
        const auto which = quiet_test_from_name(text(j, "test", 40));
        if (!which) throw Bad{"test"};
        t.test = *which;
        if (const auto at = maybe_number(j, "clip"); at) {
            if (!(*at >= 0) || *at >= static_cast<double>(clips.size())) throw Bad{"clip"};
            t.clip = clips[static_cast<std::size_t>(*at)];
        }
        for (const auto& f : list(j, "figures", 20)) {
            const std::string side = text(f, "side", 10);
            TestFigure one;
            one.id = text(f, "id", 40), one.unit = text(f, "unit", 10);
            one.value = number(f, "value", -1e6, 1e6), one.sigma = number(f, "sigma", 0, 1e6);
            if (side == "left" || side == "right") one.side = side == "left" ? Side::left : Side::right;
            t.figures.push_back(std::move(one));
        }
        for (const auto& n : list(j, "notes", 10)) {
            if (!n.is_string()) throw Bad{"notes"};
            t.notes.push_back(n);
        }
        must(library.quiet_tests().keep(t));
    }

    std::int64_t all(const json& j) {
        if (text(j, "format", 40) != "bevel-person") throw Bad{"format"};
        if (number(j, "version", 1, 1e6) > bundle_version) throw Bad{"version"};
        const auto id = person(part(j, "person", json::value_t::object));
        for (const auto& a : list(j, "agreements", 10000)) {
            Agreement made;
            made.person = id;
            made.check = text(a, "check", 200);
            made.low = maybe_number(a, "low"), made.high = maybe_number(a, "high");
            made.off = flag(a, "off");
            made.reason = text(a, "reason");
            made.from_day = day(a, "from"), made.until_day = day(a, "until");
            must(library.decisions().save_agreement(made));
        }
        std::vector<std::int64_t> clips;
        for (const auto& c : list(j, "clips", bundle_entries / 4)) clips.push_back(clip(c, id));
        if (j["person"].contains("neutral")) { // not in older ones
            auto own = must(parse_neutral(text(j["person"], "neutral", 64U * 1024U)));
            own.renumber([&](std::int64_t at) { return at >= 1 && at <= std::ssize(clips) ? clips[static_cast<std::size_t>(at - 1)] : 0; });
            if (!own.empty()) must(library.people().set_neutral(id, own));
        }
        for (const auto& l : list(j, "letters", bundle_entries / 4)) {
            SentLetter s;
            s.person = id;
            s.sent_at = text(l, "sent_at", 40), s.kind = text(l, "kind", 20), s.name = text(l, "name", 400),
            s.body = text(l, "body", 1U << 20U);
            s.hidden = flag(l, "hidden");
            if (const auto at = maybe_number(l, "clip"); at) {
                if (!(*at >= 0) || *at >= static_cast<double>(clips.size())) throw Bad{"clip"};
                s.clip = clips[static_cast<std::size_t>(*at)];
            }
            if (l.contains("file"))
                s.file =
                    must(entry(z, entry_name(l, "file", "letters/", {".pdf", ".html", ".txt", ".mp4", ".png", ".ogg"}), bundle_points));
            must(library.letters().keep_sent(s));
        }
        for (const auto& p : list(j, "practice", 100000)) {
            PracticeLog log;
            log.person = id;
            log.day = day(p, "day"), log.title = text(p, "title", 400), log.minutes = number(p, "minutes", 0, 1440);
            if (const auto e = maybe_number(p, "effort")) log.effort = static_cast<int>(*e);
            log.felt = text(p, "felt"), log.pain = text(p, "pain"), log.plan = text(p, "plan", 1U << 20U);
            for (const auto& d : list(p, "done", 1000))
                log.done.push_back({text(d, "movement", 200), text(d, "kind", 100), static_cast<int>(number(d, "left", 0, 10000)),
                                    static_cast<int>(number(d, "right", 0, 10000)), number(d, "seconds", 0, 1e6)});
            must(library.practice().keep(log));
        }
        if (j.contains("tests")) // not in older ones
            for (const auto& t : list(j, "tests", 10000)) test(t, id, clips);
        if (j.contains("courses"))
            for (const auto& c : list(j, "courses", 1000))
                must(library.courses().keep({0, id, text(c, "title", 400), text(c, "wish", 1U << 20U), text(c, "weeks", 2U << 20U)}));
        return id;
    }
};

} // namespace

Result<std::int64_t> read_bundle(Library& library, const fs::path& file, const std::stop_token& stop) {
    int why = 0;
    const ReadZip z(zip_open(file.string().c_str(), ZIP_RDONLY, &why));
    if (!z) return fail(why == ZIP_ER_NOENT || why == ZIP_ER_OPEN ? Code::cannot_open : Code::unreadable, file.string());
    if (zip_get_num_entries(z.get(), 0) > static_cast<zip_int64_t>(bundle_entries)) return fail(Code::too_large, file.string());
    const auto record = entry(z.get(), "record.json", bundle_text);
    if (!record) return tl::unexpected(record.error());
    const auto j = bounded_json(*record, "record.json", {}, stop);
    if (!j) return tl::unexpected(j.error());
    if (!j->is_object()) return fail(Code::unreadable, "record.json");
    BundleReader reader{library, z.get(), stop, {}};
    std::int64_t id = 0;
    const auto caught = [&](auto work) -> Result<bool> {
        try {
            work();
            return true;
        } catch (const Bad& b) {
            return fail(Code::unreadable, "record.json: " + b.where);
        } catch (const Error& e) {
            return tl::unexpected(e);
        } catch (const json::exception&) {
            return fail(Code::unreadable, "record.json");
        }
    };
    auto ok = caught([&] { reader.take_films(*j); });
    if (ok) ok = library.together([&] { return caught([&] { id = reader.all(*j); }); });
    if (!ok) { // nothing of it stays
        std::vector<std::string> films;
        std::error_code ec;
        for (const auto& [name, ours] : reader.films) {
            films.push_back(ours);
            fs::remove(library.folder() / (ours + std::string(unfinished)), ec);
        }
        (void)library.clips().release_films(films);
        return tl::unexpected(ok.error());
    }
    return id;
}

} // namespace bevel
