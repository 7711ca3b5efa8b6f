#include "store/bundle.h"
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/files.h"
#include "core/plain_number.h"
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
using Zip = std::unique_ptr<zip_t, decltype([](zip_t* z) { zip_discard(z); })>;
using Entry = std::unique_ptr<zip_file_t, decltype([](zip_file_t* f) { zip_fclose(f); })>;
constexpr int version = 1;

json maybe(const std::optional<double>& v) {
    return v ? json(*v) : json(nullptr);
}

json figure_json(const KeptFigure& f) {
    return {{"check", f.check},      {"side", f.side},       {"measure", f.measure}, {"unit", f.unit},           {"view", f.view},
            {"value", f.value},      {"own", f.own},         {"of_clip", f.of_clip}, {"person", f.person},       {"low", maybe(f.low)},
            {"high", maybe(f.high)}, {"matters", f.matters}, {"judged", f.judged},   {"reference", f.reference}, {"version", f.version}};
}

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

/// Adds bytes under a name; the archive keeps a copy until it is closed.
bool put_file(zip_t* z, const std::string& name, const std::string& bytes) {
    void* copy = std::malloc(std::max<std::size_t>(1, bytes.size()));
    if (!copy) return false;
    std::copy(bytes.begin(), bytes.end(), static_cast<char*>(copy));
    zip_source_t* s = zip_source_buffer(z, copy, bytes.size(), 1);
    if (!s) {
        std::free(copy);
        return false;
    }
    const auto at = zip_file_add(z, name.c_str(), s, ZIP_FL_ENC_UTF_8);
    if (at < 0) {
        zip_source_free(s);
        return false;
    }
    zip_file_set_mtime(z, static_cast<zip_uint64_t>(at), 0, 0); // when it was made tells nothing that is needed
    return true;
}

Result<std::string> entry(zip_t* z, const std::string& name, std::uint64_t most) {
    zip_stat_t st;
    zip_stat_init(&st);
    if (zip_stat(z, name.c_str(), 0, &st) != 0 || !(st.valid & ZIP_STAT_SIZE)) return fail(Code::unreadable, name);
    if (st.size > most) return fail(Code::too_large, name);
    const Entry f(zip_fopen(z, name.c_str(), 0));
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

std::string clip_name(std::size_t i, const char* ending) {
    return "clips/" + std::to_string(i) + ending;
}

json clip_json(const Clip& c) {
    return {{"movement", c.movement},
            {"school", c.school},
            {"view", c.view},
            {"filmed_on", c.filmed_on},
            {"arrived_on", c.arrived_on},
            {"mirrored", c.mirrored},
            {"footwear", c.footwear},
            {"version", c.version.value_or("")},
            {"surface", c.surface},
            {"named", c.named},
            {"reviewed", c.state == ClipState::reviewed}};
}

/// One person on the way into a zip.
class BundleWriter {
public:
    BundleWriter(const Library& library, const fs::path& file, const BundleOptions& options)
        : library_(library), file_(file), options_(options) {}

    Result<bool> write(std::int64_t id, const std::stop_token& stop) {
        if (auto ok = read(id); !ok) return ok;
        PendingFile out(file_);
        int why = 0;
        z_.reset(zip_open(out.path().string().c_str(), ZIP_CREATE | ZIP_TRUNCATE, &why));
        if (!z_) return fail(Code::write_failed, file_.string());
        json j{{"format", "bevel-person"}, {"version", version}, {"person", person()}, {"agreements", agreements()}};
        json clips = json::array(), letters = json::array();
        for (std::size_t i = 0; i < clips_.size(); ++i) {
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            auto one = clip(i);
            if (!one) return tl::unexpected(one.error());
            clips.push_back(std::move(*one));
        }
        for (std::size_t i = 0; i < sent_.size(); ++i) {
            auto one = letter(i);
            if (!one) return tl::unexpected(one.error());
            letters.push_back(std::move(*one));
        }
        j["clips"] = clips;
        j["letters"] = letters;
        j["practice"] = practice();
        if (!put_file(z_.get(), "record.json", j.dump(1, ' ', false, json::error_handler_t::replace))) return failed();
        for (const auto& [name, bytes] : options_.texts)
            if (!put_file(z_.get(), name, bytes)) return failed();
        if (zip_close(z_.get()) != 0) return failed();
        (void)z_.release(); // closed: it is gone
        return out.commit();
    }

private:
    tl::unexpected<Error> failed() const { return fail(Code::write_failed, file_.string() + ": " + zip_strerror(z_.get())); }

    template <class T> static Result<bool> into(T& to, Result<T> from) {
        if (!from) return tl::unexpected(from.error());
        to = std::move(*from);
        return true;
    }
    Result<bool> read(std::int64_t id) {
        std::vector<Person> people;
        if (auto ok = into(people, library_.people()); !ok) return ok;
        const auto who = std::find_if(people.begin(), people.end(), [&](const Person& p) { return p.id == id; });
        if (who == people.end()) return fail(Code::not_found, "person");
        who_ = *who;
        ClipQuery of;
        of.person = id;
        of.most = bundle_entries / 4;
        for (const auto& ok :
             {into(facts_, library_.facts(id)), into(heights_, library_.heights(id)), into(agreements_, library_.agreements(id)),
              into(figures_, library_.figures(id)), into(sent_, library_.sent(id)), into(practice_, library_.practice(id)),
              into(own_, library_.neutral(id)), into(clips_, library_.find_clips(of))})
            if (!ok) return ok;
        std::reverse(clips_.begin(), clips_.end()); // oldest first
        // Clips are known by their place, from 1; 0 is none of these.
        own_.renumber([&](std::int64_t clip) -> std::int64_t {
            const auto at = std::find_if(clips_.begin(), clips_.end(), [&](const Clip& c) { return c.id == clip; });
            return at == clips_.end() ? 0 : at - clips_.begin() + 1;
        });
        return true;
    }

    json person() const {
        json taught = json::array(), grown = json::array();
        for (const auto& t : facts_.taught) taught.push_back({{"movement", t.movement}, {"version", t.version}, {"up_to", t.up_to}});
        for (const auto& [from, m] : heights_) grown.push_back({{"day", from}, {"metres", m}});
        return {{"name", who_.name},
                {"notes", who_.notes},
                {"alias", facts_.alias},
                {"goals", facts_.goals},
                {"consent", facts_.consent},
                {"language", facts_.language},
                {"email", facts_.email},
                {"lengths", facts_.lengths},
                {"balance_step", facts_.balance_step},
                {"taught", taught},
                {"heights", grown},
                {"shoulder_width_m", who_.shoulder_width_m},
                {"fist_m", who_.fist_m},
                {"foot_m", who_.foot_m},
                {"keep_until", who_.keep_until},
                {"neutral", neutral_text(own_)}};
    }

    json agreements() const {
        json agreed = json::array();
        for (const auto& a : agreements_)
            agreed.push_back({{"check", a.check},
                              {"low", maybe(a.low)},
                              {"high", maybe(a.high)},
                              {"off", a.off},
                              {"reason", a.reason},
                              {"from", a.from_day},
                              {"until", a.until_day}});
        return agreed;
    }

    /// Points and film of a clip go into the zip, the rest into its record.
    Result<json> clip(std::size_t i) {
        const Clip& c = clips_[i];
        json one = clip_json(c);
        if (const auto track = library_.load_track(c.id)) {
            one["points"] = clip_name(i, ".track");
            if (!put_file(z_.get(), one["points"], pack_track(*track))) return failed();
        }
        if (options_.films && library_.has_file(c) && !c.is_part())
            if (!film(c, one["film"] = clip_name(i, library_.path_of(c).extension().string().c_str()))) return failed();
        decided(c, one);
        return one;
    }
    bool film(const Clip& c, const std::string& name) {
        zip_source_t* s = zip_source_file(z_.get(), library_.path_of(c).string().c_str(), 0, -1);
        const auto at = s ? zip_file_add(z_.get(), name.c_str(), s, ZIP_FL_ENC_UTF_8) : -1;
        if (at < 0) {
            if (s) zip_source_free(s);
            return false;
        }
        zip_set_file_compression(z_.get(), static_cast<zip_uint64_t>(at), ZIP_CM_STORE, 0); // films are small already
        return true;
    }
    void decided(const Clip& c, json& one) const {
        json kept = json::array(), seen = json::array(), measured = json::array();
        if (const auto d = library_.decisions(c.id))
            for (const auto& x : *d)
                if (!x.key.seen())
                    kept.push_back({{"check", x.key.check_text()},
                                    {"side", x.key.side_text()},
                                    {"choice", static_cast<int>(x.choice)},
                                    {"wording", x.wording},
                                    {"note", x.note}});
        if (const auto s = library_.seen_in(c.id))
            for (const auto& x : *s)
                seen.push_back({{"time_s", x.time_s}, {"part", x.family}, {"side", x.side}, {"safety", x.safety}, {"words", x.words}});
        for (const auto& f : figures_)
            if (f.clip == c.id) measured.push_back(figure_json(f));
        one["decisions"] = kept;
        one["seen"] = seen;
        one["figures"] = measured;
        const auto condition = library_.condition(c.id);
        one["condition"] = {{"pain", condition ? condition->pain : ""},
                            {"energy", condition && condition->energy ? json(*condition->energy) : json(nullptr)}};
    }

    Result<json> letter(std::size_t i) {
        const auto& l = sent_[i];
        json one{{"sent_at", l.sent_at}, {"kind", l.kind}, {"name", l.name}, {"hidden", l.hidden}, {"body", l.body}};
        const auto at = std::find_if(clips_.begin(), clips_.end(), [&](const Clip& c) { return c.id == l.clip; });
        one["clip"] = at == clips_.end() ? json(nullptr) : json(at - clips_.begin());
        if (const auto bytes = library_.sent_file(l.id); bytes && !bytes->empty()) {
            const std::string ending = l.kind == "html" ? ".html" : l.kind == "text" ? ".txt" : l.kind == "clip" ? ".mp4" : ".pdf";
            one["file"] = "letters/" + std::to_string(i) + ending;
            if (!put_file(z_.get(), one["file"], *bytes)) return failed();
        }
        return one;
    }

    json practice() const {
        json log = json::array();
        for (const auto& p : practice_) {
            json done = json::array();
            for (const auto& d : p.done)
                done.push_back({{"movement", d.movement}, {"kind", d.kind}, {"left", d.left}, {"right", d.right}, {"seconds", d.seconds}});
            log.push_back({{"day", p.day},
                           {"title", p.title},
                           {"minutes", p.minutes},
                           {"effort", p.effort ? json(*p.effort) : json(nullptr)},
                           {"felt", p.felt},
                           {"pain", p.pain},
                           {"done", done},
                           {"plan", p.plan}});
        }
        return log;
    }

    const Library& library_;
    const fs::path& file_;
    const BundleOptions& options_;
    Zip z_;
    Person who_;
    PersonFacts facts_;
    std::vector<std::pair<std::string, double>> heights_;
    std::vector<Agreement> agreements_;
    std::vector<KeptFigure> figures_;
    std::vector<SentLetter> sent_;
    std::vector<PracticeLog> practice_;
    PersonNeutral own_;
    std::vector<Clip> clips_;
};

} // namespace

Result<bool> write_bundle(const Library& library, std::int64_t id, const fs::path& file, const BundleOptions& options,
                          const std::stop_token& stop) {
    return BundleWriter(library, file, options).write(id, stop);
}

namespace {

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
        if (grown.empty()) throw Bad{"heights"};
        p.stature_m = number(grown.back(), "metres", 0.8, 2.5);
        p.shoulder_width_m = number(j, "shoulder_width_m", 0, 1);
        // Somebody of the same name is somebody else.
        const auto people = must(library.people());
        const std::string name = p.name;
        for (int n = 2; std::any_of(people.begin(), people.end(), [&](const Person& x) { return x.name == p.name; }); ++n)
            p.name = name + " (" + std::to_string(n) + ")";
        const auto id = must(library.add_person(p, day(grown.front(), "day")));
        for (const auto& h : grown) must(library.set_height(id, day(h, "day"), number(h, "metres", 0.8, 2.5)));
        if (p.shoulder_width_m > 0) must(library.set_shoulder_width(id, p.shoulder_width_m));
        const double fist = number(j, "fist_m", 0, 0.5), foot = number(j, "foot_m", 0, 0.5);
        if (fist > 0 || foot > 0) must(library.set_own_units(id, fist, foot));
        if (const auto until = day(j, "keep_until"); !until.empty()) must(library.set_keep_until(id, until));
        PersonFacts f;
        f.alias = text(j, "alias", 200), f.goals = text(j, "goals"), f.consent = text(j, "consent");
        f.language = text(j, "language", 10), f.email = text(j, "email", 400);
        if (j.contains("lengths")) f.lengths = text(j, "lengths", 2); // not in older ones
        if (j.contains("balance_step")) f.balance_step = static_cast<int>(number(j, "balance_step", 0, 7));
        for (const auto& t : list(j, "taught", 1000))
            f.taught.push_back({text(t, "movement", 200), text(t, "version", 200), text(t, "up_to", 200)});
        must(library.set_facts(id, f));
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
            id = must(library.adopt_clip(c, at->second, fs::path(name).filename().string()));
        } else {
            id = must(library.add_clip_record(c));
        }
        if (j.contains("points")) {
            const auto bytes = must(entry(z, entry_name(j, "points", "clips/", {".track"}), bundle_points));
            must(library.save_track(id, must(unpack_track(bytes))));
            c.id = id;
            must(library.set_clip_facts(c));
            must(library.set_clip_state(id, c.state, ""));
        } else {
            must(library.set_clip_state(id, ClipState::failed, "no_body"));
        }
        for (const auto& d : list(j, "decisions", 10000))
            must(library.save_decision(id, {text(d, "check", 200), text(d, "side", 10),
                                            static_cast<Choice>(static_cast<int>(number(d, "choice", 0, 2))), text(d, "wording"),
                                            text(d, "note")}));
        for (const auto& s : list(j, "seen", 10000))
            must(library.save_seen({0, id, number(s, "time_s", 0, 1e6), static_cast<int>(number(s, "part", 0, 7)), text(s, "side", 10),
                                    flag(s, "safety"), text(s, "words")}));
        std::vector<KeptFigure> figures;
        for (const auto& f : list(j, "figures", 2000)) figures.push_back(figure_of(f, c, id));
        if (!figures.empty()) must(library.keep_figures(id, figures));
        const json& day_of = part(j, "condition", json::value_t::object);
        Condition condition;
        condition.pain = text(day_of, "pain");
        if (const auto e = maybe_number(day_of, "energy")) condition.energy = static_cast<int>(*e);
        if (!condition.pain.empty() || condition.energy) must(library.set_condition(id, condition));
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
            const auto ours = must(library.reserve_film(fs::path(name).stem().string(), fs::path(name).extension().string()));
            films[name] = ours;
            write_film(name, library.folder() / ours);
        }
    }

    void write_film(const std::string& name, const fs::path& to) {
        const Entry f(zip_fopen(z, name.c_str(), 0));
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

    std::int64_t all(const json& j) {
        if (text(j, "format", 40) != "bevel-person") throw Bad{"format"};
        if (number(j, "version", 1, 1e6) > version) throw Bad{"version"};
        const auto id = person(part(j, "person", json::value_t::object));
        for (const auto& a : list(j, "agreements", 10000)) {
            Agreement made;
            made.person = id;
            made.check = text(a, "check", 200);
            made.low = maybe_number(a, "low"), made.high = maybe_number(a, "high");
            made.off = flag(a, "off");
            made.reason = text(a, "reason");
            made.from_day = day(a, "from"), made.until_day = day(a, "until");
            must(library.save_agreement(made));
        }
        std::vector<std::int64_t> clips;
        for (const auto& c : list(j, "clips", bundle_entries / 4)) clips.push_back(clip(c, id));
        if (j["person"].contains("neutral")) { // not in older ones
            auto own = must(parse_neutral(text(j["person"], "neutral", 64U * 1024U)));
            own.renumber([&](std::int64_t at) { return at >= 1 && at <= std::ssize(clips) ? clips[static_cast<std::size_t>(at - 1)] : 0; });
            if (!own.empty()) must(library.set_neutral(id, own));
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
                s.file = must(entry(z, entry_name(l, "file", "letters/", {".pdf", ".html", ".txt", ".mp4"}), bundle_points));
            must(library.keep_sent(s));
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
            must(library.keep_practice(log));
        }
        return id;
    }
};

} // namespace

Result<std::int64_t> read_bundle(Library& library, const fs::path& file, const std::stop_token& stop) {
    int why = 0;
    const Zip z(zip_open(file.string().c_str(), ZIP_RDONLY, &why));
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
        (void)library.release_films(films);
        return tl::unexpected(ok.error());
    }
    return id;
}

namespace {

/// Fields of RFC 4180 text; nothing for a quote that is never closed.
std::optional<std::vector<std::vector<std::string>>> fields_of(const std::string& text, char between) {
    std::vector<std::vector<std::string>> lines(1);
    std::string field;
    bool quoted = false;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted) {
            if (c != '"')
                field += c;
            else if (i + 1 < text.size() && text[i + 1] == '"')
                field += '"', ++i;
            else
                quoted = false;
        } else if (c == '"' && field.empty()) {
            quoted = true;
        } else if (c == between || c == '\n') {
            lines.back().push_back(std::exchange(field, {}));
            if (c == '\n') lines.emplace_back();
        } else if (c != '\r') {
            field += c;
        }
    }
    if (quoted) return std::nullopt;
    lines.back().push_back(field);
    std::erase_if(lines, [](const auto& l) { return std::all_of(l.begin(), l.end(), [](const auto& f) { return f.empty(); }); });
    return lines;
}

} // namespace

Result<std::vector<ListedPerson>> people_from_csv(const std::string& source) {
    if (source.size() > (4U << 20U)) return fail(Code::too_large, "list");
    const std::string all = source.starts_with("\xEF\xBB\xBF") ? source.substr(3) : source;
    const std::string head = all.substr(0, all.find('\n'));
    const auto lines = fields_of(all, head.find(';') != std::string::npos ? ';' : ',');
    if (!lines || lines->empty()) return fail(Code::bad_value, "line 1: name");
    std::map<std::string, std::size_t> at;
    for (std::size_t i = 0; i < lines->front().size(); ++i) {
        std::string key = lines->front()[i];
        std::transform(key.begin(), key.end(), key.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
        at[key] = i;
    }
    if (!at.contains("name")) return fail(Code::bad_value, "line 1: name");
    std::vector<ListedPerson> out;
    for (std::size_t n = 1; n < lines->size(); ++n) {
        const auto& line = (*lines)[n];
        const auto get = [&](const char* key) {
            const auto it = at.find(key);
            return it == at.end() || it->second >= line.size() ? std::string() : line[it->second];
        };
        const auto wrong = [&](const char* what) { return fail(Code::bad_value, "line " + std::to_string(n + 1) + ": " + what); };
        ListedPerson p;
        p.person.name = get("name");
        if (p.person.name.empty() || p.person.name.size() > 200) return wrong("name");
        if (std::string h = get("height_cm"); !h.empty()) {
            std::replace(h.begin(), h.end(), ',', '.');
            const auto cm = plain_number(h);
            if (!cm || !(*cm >= 80 && *cm <= 250)) return wrong("height_cm");
            p.person.stature_m = *cm / 100;
            p.has_height = true;
        }
        p.person.notes = get("notes");
        p.facts.alias = get("alias"), p.facts.language = get("language"), p.facts.email = get("email"), p.facts.goals = get("goals");
        if (!p.facts.language.empty() && p.facts.language != "en" && p.facts.language != "de") return wrong("language");
        out.push_back(std::move(p));
    }
    return out;
}

} // namespace bevel
