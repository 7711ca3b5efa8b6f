// Clips of the library: their files, facts, points, parts and pairs.
#include "core/days.h"
#include "core/files.h"
#include "store/query.h"
#include "store/stores.h"
#include "store/sum.h"
#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;

std::string states_json(const std::vector<SupportState>& states) {
    if (states.empty()) return {};
    json all = json::array();
    for (const auto& s : states) all.push_back({{"part", s.seat ? "seat" : "hand"}, {"from_s", s.from_s}, {"to_s", s.to_s}});
    return all.dump();
}

std::vector<SupportState> parse_states(const std::string& text) {
    std::vector<SupportState> out;
    const json all = json::parse(text, nullptr, false);
    if (!all.is_array()) return out;
    for (const auto& j : all) {
        if (!j.is_object() || !j.contains("part") || !j["part"].is_string() || out.size() >= 200) continue;
        auto number = [&](const char* key, double usual) {
            return j.contains(key) && j[key].is_number() ? std::clamp(j[key].get<double>(), 0.0, 1e9) : usual;
        };
        out.push_back({j["part"] == "seat", number("from_s", 0), number("to_s", 1e9)});
    }
    return out;
}

std::optional<MeantPerson> parse_meant(const std::string& text) {
    const json j = json::parse(text, nullptr, false);
    if (!j.is_array() || j.size() != 3) return std::nullopt;
    for (const auto& v : j)
        if (!v.is_number() || !(std::abs(v.get<double>()) < 1e7)) return std::nullopt;
    return MeantPerson{j[0].get<double>(), j[1].get<double>(), j[2].get<double>()};
}

constexpr const char* clip_columns =
    "SELECT id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, found, "
    "frames_per_s, vertical_seen, neutral_seen, mirrored, hash, limits, named, guess, turn, pair, part_from_s, "
    "part_to_s, states, footwear, surface, meant, version, film_dropped, which, as_named "
    "FROM clip LEFT JOIN quality ON quality.clip = clip.id ";

Clip clip_of(const Query& q) {
    Clip c;
    c.id = q.integer(0);
    c.person = q.integer(1);
    c.file = q.text(2);
    c.movement = q.text(3);
    c.school = q.text(4);
    c.view = q.text(5);
    c.filmed_on = q.text(6);
    c.arrived_on = q.text(7);
    c.state = static_cast<ClipState>(std::clamp<std::int64_t>(q.integer(8), 0, 4));
    c.problem = q.text(9);
    c.hash = q.text(15);
    c.mirrored = q.integer(14) != 0;
    if (!q.absent(10)) c.quality = ClipQuality{q.real(10), q.real(11), q.integer(12) != 0, q.integer(13) != 0, parse_limits(q.text(16))};
    c.named = q.text(17).empty() ? fs::path(c.file).filename().string() : q.text(17); // of clips from before it was kept
    c.guess = q.text(18);
    c.turn = q.integer(19);
    c.pair = q.integer(20);
    c.part_from_s = q.maybe_real(21);
    c.part_to_s = q.maybe_real(22);
    c.states = parse_states(q.text(23));
    c.footwear = q.text(24);
    c.surface = q.text(25);
    c.meant = parse_meant(q.text(26));
    if (!q.absent(27)) c.version = q.text(27);
    c.film_dropped = q.integer(28) != 0;
    c.which = q.text(29);
    c.as_named = q.text(30);
    return c;
}

} // namespace

Result<std::string> ClipStore::reserve_film(const std::string& stem, const std::string& extension) {
    std::error_code ec;
    // A name of its own: never writes over another clip, nor over one that is on its way.
    const std::lock_guard lock(*mutex_);
    std::string name;
    for (int n = 0; n < 100000; ++n) {
        name = "clips/" + stem + (n == 0 ? "" : "-" + std::to_string(n + 1)) + extension;
        Query taken(db_, "SELECT 1 FROM leftover WHERE file=?1 UNION SELECT 1 FROM clip WHERE file=?1"); // one that was lost may come back
        taken.bind(name);
        if (!taken.row() && !fs::exists(fs::symlink_status(folder_ / name, ec))) break;
    }
    if (auto ok = write([&] {
            Query q(db_, "INSERT INTO leftover(file) VALUES(?)");
            return q.bind(name).run();
        });
        !ok)
        return tl::unexpected(ok.error());
    return name;
}

Result<std::string> ClipStore::copy_in(const fs::path& source, const std::stop_token& stop, const std::function<void(double)>& progress) {
    const auto name = reserve_film(source.stem().string(), source.extension().string());
    if (!name) return name;
    if (auto ok = copy_whole(source, folder_ / *name, stop, progress); !ok) {
        (void)release_films({*name});
        return tl::unexpected(ok.error());
    }
    return name;
}

Result<std::int64_t> ClipStore::add(const Clip& c, const fs::path& source, const std::stop_token& stop,
                                    const std::function<void(double)>& progress) {
    const auto name = copy_in(source, stop, progress);
    if (!name) return tl::unexpected(name.error());
    auto id = adopt(c, *name, source.filename().string());
    if (!id) (void)release_films({*name});
    return id;
}

Result<std::int64_t> ClipStore::adopt(const Clip& c, const std::string& file, const std::string& named) {
    if (!is_day(c.filmed_on) || !is_day(c.arrived_on)) return fail(Code::bad_value, "day");
    const std::string hash = sum_of(folder_ / file);
    if (hash.empty()) return fail(Code::cannot_open, (folder_ / file).string());
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO clip(person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, "
                     "turn) VALUES(?,?,?,?,?,?,?,?,?,?,?,?,(SELECT coalesce(max(turn), 0) + 1 FROM clip))");
        q.reference(c.person).bind(file).bind(c.movement).bind(c.school).bind(c.view).bind(c.filmed_on).bind(c.arrived_on);
        q.bind(static_cast<std::int64_t>(c.state)).bind(c.problem).bind(std::int64_t{c.mirrored}).bind(hash).bind(named);
        if (auto done = q.run(); !done) return done;
        id = sqlite3_last_insert_rowid(db_);
        Query kept(db_, "DELETE FROM leftover WHERE file=?");
        return kept.bind(file).run();
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> ClipStore::replace_file(std::int64_t clip, const fs::path& source) {
    const auto now = get(clip);
    if (!now) return tl::unexpected(now.error());
    const std::string hash = sum_of(source);
    if (hash.empty()) return fail(Code::cannot_open, source.string());
    if (!now->hash.empty() && now->hash != hash) return fail(Code::bad_value, "another_clip");
    const auto name = copy_in(source, {}, {});
    if (!name) return tl::unexpected(name.error());
    return together([&]() -> Result<bool> {
        Query q(db_, "UPDATE clip SET file=?, hash=? WHERE id=?");
        if (auto ok = q.bind(*name).bind(hash).bind(clip).run(); !ok) return ok;
        Query kept(db_, "DELETE FROM leftover WHERE file=?");
        return kept.bind(*name).run();
    });
}

Result<std::optional<Clip>> ClipStore::same_file(const fs::path& source) const {
    const std::string hash = sum_of(source);
    if (hash.empty()) return fail(Code::cannot_open, source.string());
    const std::lock_guard lock(*mutex_);
    Query q(db_, (std::string(clip_columns) + "WHERE hash=?").c_str());
    q.bind(hash);
    if (!q.row()) return std::optional<Clip>();
    return std::optional(clip_of(q));
}

fs::path ClipStore::path_of(const Clip& c) const {
    // Inside the library only, whatever the record says.
    const fs::path file(c.file);
    const bool inside = file.is_relative() && std::none_of(file.begin(), file.end(), [](const fs::path& p) { return p == ".."; });
    return inside ? folder_ / file : folder_ / "clips" / file.filename();
}

bool ClipStore::has_file(const Clip& c) const {
    std::error_code ec;
    return fs::is_regular_file(path_of(c), ec);
}

Result<bool> ClipStore::set_facts(const Clip& c) {
    if (!is_day(c.filmed_on) || !is_day(c.arrived_on)) return fail(Code::bad_value, "day");
    return together([&]() -> Result<bool> {
        if (auto ok = forget_figures(db_, c.id); !ok) return ok;
        // A pair is of one person and one movement.
        Query apart(db_, "UPDATE clip SET pair=0 WHERE (id=?1 OR pair=?1) AND EXISTS (SELECT 1 FROM clip WHERE id=?1 AND pair<>0 AND "
                         "(movement<>?2 OR person IS NOT ?3))");
        if (auto ok = apart.bind(c.id).bind(c.movement).reference(c.person).run(); !ok) return ok;
        Query q(db_, "UPDATE clip SET person=?, movement=?, school=?, view=?, filmed_on=?, mirrored=?, footwear=?, surface=?, "
                     "version=? WHERE id=?");
        q.reference(c.person).bind(c.movement).bind(c.school).bind(c.view).bind(c.filmed_on).bind(std::int64_t{c.mirrored});
        q.bind(c.footwear).bind(c.surface);
        // A test that a clip shows is of whoever the clip shows; of nobody it is none.
        Query test(db_, c.person != 0 ? "UPDATE quiet_test SET person=?1 WHERE clip=?2" : "DELETE FROM quiet_test WHERE ?1=0 AND clip=?2");
        if (auto ok = test.bind(c.person).bind(c.id).run(); !ok) return ok;
        return (c.version ? q.bind(*c.version) : q.bind(std::optional<double>())).bind(c.id).run();
    });
}

Result<bool> ClipStore::set_guess(std::int64_t clip, const std::string& guess) {
    return write([&] {
        Query q(db_, "UPDATE clip SET guess=? WHERE id=?");
        return q.bind(guess).bind(clip).run();
    });
}

Result<bool> ClipStore::set_which(std::int64_t clip, const std::string& which) {
    return write([&] {
        Query q(db_, "UPDATE clip SET which=? WHERE id=?");
        return q.bind(which).bind(clip).run();
    });
}

Result<bool> ClipStore::set_as_named(std::int64_t clip, const std::string& movement) {
    return together([&]() -> Result<bool> {
        for (const char* sql : {"DELETE FROM figure WHERE clip=?", "DELETE FROM figures_of WHERE clip=?"}) {
            Query gone(db_, sql);
            if (auto ok = gone.bind(clip).run(); !ok) return ok;
        }
        Query q(db_, "UPDATE clip SET as_named=? WHERE id=?");
        return q.bind(movement).bind(clip).run();
    });
}

Result<bool> ClipStore::set_turns(const std::vector<std::int64_t>& clips) {
    return together([&]() -> Result<bool> {
        for (std::size_t i = 0; i < clips.size(); ++i) {
            Query q(db_, "UPDATE clip SET turn=? WHERE id=?");
            if (auto ok = q.bind(static_cast<std::int64_t>(i)).bind(clips[i]).run(); !ok) return ok;
        }
        return true;
    });
}

Result<bool> ClipStore::set_state(std::int64_t clip, ClipState state, const std::string& problem) {
    return write([&] {
        Query q(db_, "UPDATE clip SET state=?, problem=? WHERE id=?");
        return q.bind(static_cast<std::int64_t>(state)).bind(problem).bind(clip).run();
    });
}

Result<std::vector<Clip>> ClipStore::all() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, (std::string(clip_columns) + "ORDER BY arrived_on DESC, id DESC").c_str());
    std::vector<Clip> out;
    while (q.row()) out.push_back(clip_of(q));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<Clip>> ClipStore::find(const ClipQuery& query) const {
    std::string sql = std::string(clip_columns) + "WHERE 1";
    std::vector<std::string> texts;
    const auto list = [](const auto& states) {
        std::string in = "state IN (";
        for (const auto s : states) in += (in.back() == '(' ? "" : ",") + std::to_string(static_cast<int>(s));
        return in + ")";
    };
    const auto like = [&](const std::string& column, const std::string& what) {
        std::string pattern = "%";
        for (const char c : what) pattern += c == '%' || c == '_' || c == '\\' ? std::string("\\") + c : std::string(1, c);
        texts.push_back(pattern + "%");
        return column + " LIKE ?" + std::to_string(texts.size()) + " ESCAPE '\\'";
    };
    if (query.person != 0) sql += " AND person=" + std::to_string(query.person);
    if (!query.states.empty()) sql += " AND " + list(query.states);
    for (const auto& w : query.words) {
        sql += " AND (person IN (SELECT p.id FROM person p WHERE " + like("p.name", w.text) + ") OR (person IS NULL AND " +
               like("named", w.text) + ")";
        // A word without a digit is no day.
        if (w.text.find_first_of("0123456789") != std::string::npos) sql += " OR " + like("filmed_on", w.text);
        if (!w.day_part.empty()) sql += " OR " + like("filmed_on", w.day_part);
        if (!w.states.empty()) sql += " OR " + list(w.states);
        for (const auto& m : w.movements) {
            texts.push_back(m);
            sql += " OR movement=?" + std::to_string(texts.size());
        }
        sql += ")";
    }
    const std::string newest = " ORDER BY arrived_on DESC, id DESC";
    if (query.words.empty() && query.states.empty() && query.person == 0)
        sql += " AND (id IN (SELECT id FROM clip" + newest + " LIMIT " + std::to_string(query.most) + ") OR state IN (0, 4))" + newest;
    else // found by the index alone; only what is shown is read
        sql = std::string(clip_columns) + "WHERE id IN (SELECT id FROM clip" +
              sql.substr(std::string_view(clip_columns).size()).insert(0, " ") + newest + " LIMIT " + std::to_string(query.most) + ")" +
              newest;
    const std::lock_guard lock(*mutex_);
    Query q(db_, sql.c_str());
    for (const auto& t : texts) q.bind(t);
    std::vector<Clip> out;
    while (q.row()) out.push_back(clip_of(q));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

std::int64_t ClipStore::count() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT count(*) FROM clip");
    return q.row() ? q.integer(0) : 0;
}

Result<std::int64_t> ClipStore::add_record(const Clip& c) {
    if (!is_day(c.filmed_on) || !is_day(c.arrived_on)) return fail(Code::bad_value, "day");
    std::int64_t id = 0;
    auto ok = write([&] {
        Query q(db_, "INSERT INTO clip(person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, "
                     "turn) VALUES(?,?,?,?,?,?,?,?,?,?,?,?,(SELECT coalesce(max(turn), 0) + 1 FROM clip))");
        q.reference(c.person).bind(std::string()).bind(c.movement).bind(c.school).bind(c.view).bind(c.filmed_on).bind(c.arrived_on);
        q.bind(static_cast<std::int64_t>(c.state)).bind(c.problem).bind(std::int64_t{c.mirrored}).bind(c.hash).bind(c.named);
        auto done = q.run();
        id = sqlite3_last_insert_rowid(db_);
        return done;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<Clip> ClipStore::get(std::int64_t id) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, (std::string(clip_columns) + "WHERE id=?").c_str());
    q.bind(id);
    if (!q.row()) return fail(Code::not_found, "clip");
    return clip_of(q);
}

Result<bool> ClipStore::set_states(std::int64_t clip, const std::vector<SupportState>& states) {
    return together([&]() -> Result<bool> {
        if (auto ok = forget_figures(db_, clip); !ok) return ok;
        Query q(db_, "UPDATE clip SET states=? WHERE id=?");
        return q.bind(states_json(states)).bind(clip).run();
    });
}

Result<bool> ClipStore::set_meant(std::int64_t clip, const std::optional<MeantPerson>& who) {
    return together([&]() -> Result<bool> {
        Query q(db_, "UPDATE clip SET meant=? WHERE id=?");
        if (auto ok = q.bind(who ? json{who->time_s, who->x, who->y}.dump() : std::string()).bind(clip).run(); !ok) return ok;
        return tracks().forget_unfinished(clip); // points of somebody else are not gone on with
    });
}

Result<bool> ClipStore::pair(std::int64_t a, std::int64_t b) {
    if (a == b) return fail(Code::bad_value, "pair");
    return together([&]() -> Result<bool> {
        const auto x = get(a), y = get(b);
        if (!x || !y) return fail(Code::not_found, "clip");
        if (x->person == 0 || x->person != y->person || x->movement.empty() || x->movement != y->movement)
            return fail(Code::bad_value, "pair");
        for (const auto id : {a, b})
            if (auto ok = part(id); !ok) return ok;
        for (const auto& [id, other] : {std::pair{a, b}, {b, a}}) {
            Query q(db_, "UPDATE clip SET pair=? WHERE id=?");
            if (auto ok = q.bind(other).bind(id).run(); !ok) return ok;
        }
        // One record for both: what was decided about the later one alone is taken over where the first has nothing.
        const auto keep = std::min(a, b), other = std::max(a, b);
        Query q(db_,
                "INSERT OR IGNORE INTO decision(clip, check_id, side, choice, wording, note) SELECT ?1, check_id, side, choice, wording, "
                "note FROM decision WHERE clip=?2");
        return q.bind(keep).bind(other).run();
    });
}

Result<bool> ClipStore::part(std::int64_t either) {
    return write([&] {
        Query q(db_, "UPDATE clip SET pair=0 WHERE id=?1 OR pair=?1");
        return q.bind(either).run();
    });
}

std::int64_t ClipStore::record_of(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT CASE WHEN pair=0 THEN id ELSE min(id, pair) END FROM clip WHERE id=?");
    q.bind(clip);
    return q.row() ? q.integer(0) : clip;
}

Result<std::vector<std::int64_t>> ClipStore::cut(std::int64_t id, const std::vector<ClipPart>& parts) {
    if (parts.empty() || parts.size() > 100) return fail(Code::bad_value, "parts");
    for (std::size_t i = 0; i < parts.size(); ++i)
        if (!(parts[i].to_s - parts[i].from_s >= 1) || (i > 0 && parts[i].from_s < parts[i - 1].to_s))
            return fail(Code::bad_value, "parts");
    std::vector<std::int64_t> out;
    auto ok = together([&]() -> Result<bool> {
        const auto whole = get(id);
        if (!whole) return tl::unexpected(whole.error());
        auto track = tracks().load(id);
        if (!track) return tl::unexpected(track.error());
        for (std::size_t i = 0; i < parts.size(); ++i) {
            std::int64_t piece = id;
            if (i > 0) {
                Query q(
                    db_,
                    "INSERT INTO clip(person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, "
                    "named, turn, states, footwear, surface, meant, look, version, film_dropped, as_named) SELECT person, file, movement, "
                    "school, "
                    "view, "
                    "filmed_on, arrived_on, state, problem, mirrored, hash, named, turn, states, footwear, surface, meant, look, version, "
                    "film_dropped, as_named FROM clip WHERE id=?");
                if (auto done = q.bind(id).run(); !done) return done;
                piece = sqlite3_last_insert_rowid(db_);
                Query quality(db_, "INSERT INTO quality SELECT ?1, found, frames_per_s, vertical_seen, neutral_seen, limits FROM quality "
                                   "WHERE clip=?2");
                if (auto done = quality.bind(piece).bind(id).run(); !done) return done;
            }
            Query span(db_, "UPDATE clip SET part_from_s=?, part_to_s=? WHERE id=?");
            if (auto done = span.bind(parts[i].from_s).bind(parts[i].to_s).bind(piece).run(); !done) return done;
            track->layers.trim_from_s = parts[i].from_s;
            track->layers.trim_to_s = parts[i].to_s;
            if (auto done = tracks().save(piece, *track); !done) return done;
            out.push_back(piece);
        }
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<Clip>> ClipStore::parts_of(std::int64_t id) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_,
            (std::string(clip_columns) + "WHERE file=(SELECT file FROM clip WHERE id=?) ORDER BY coalesce(part_from_s, 0), id").c_str());
    q.bind(id);
    std::vector<Clip> out;
    while (q.row()) out.push_back(clip_of(q));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
