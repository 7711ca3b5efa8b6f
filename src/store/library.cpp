#include "store/library.h"
#include <nlohmann/json.hpp>
#include <sqlite3.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;
constexpr int newest = 7;

/// Steps from one version of the library to the next; never edited once released, only added to.
const std::array<const char*, newest> steps{
    // 1: people, clips, tracks, decisions, letters
    "CREATE TABLE person(id INTEGER PRIMARY KEY, name TEXT NOT NULL, stature_m REAL NOT NULL CHECK(stature_m BETWEEN 0.8 AND 2.5), notes "
    "TEXT NOT NULL DEFAULT '');"
    "CREATE TABLE clip(id INTEGER PRIMARY KEY, person INTEGER NOT NULL REFERENCES person(id), file TEXT NOT NULL, movement TEXT NOT NULL,"
    " school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT NULL DEFAULT "
    "'',"
    " state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '');"
    "CREATE TABLE track(clip INTEGER PRIMARY KEY REFERENCES clip(id), points BLOB NOT NULL);"
    "CREATE TABLE decision(clip INTEGER NOT NULL REFERENCES clip(id), check_id TEXT NOT NULL, side TEXT NOT NULL, choice INTEGER NOT NULL,"
    " wording TEXT NOT NULL DEFAULT '', PRIMARY KEY(clip, check_id, side));"
    "CREATE TABLE letter(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL UNIQUE REFERENCES clip(id), body TEXT NOT NULL, sent_on TEXT NOT "
    "NULL DEFAULT '');"
    "CREATE INDEX clip_person ON clip(person);",
    // 2: a note on each decision
    "ALTER TABLE decision ADD COLUMN note TEXT NOT NULL DEFAULT '';",
    // 3: settings
    "CREATE TABLE setting(key TEXT PRIMARY KEY, value TEXT NOT NULL);",
    // 4: a person's own shoulder width, for clips from the side
    "ALTER TABLE person ADD COLUMN shoulder_width_m REAL NOT NULL DEFAULT 0;",
    // 5: how well a clip could be read
    "CREATE TABLE quality(clip INTEGER PRIMARY KEY REFERENCES clip(id), found REAL NOT NULL, frames_per_s REAL NOT NULL, vertical_seen "
    "INTEGER NOT NULL, neutral_seen INTEGER NOT NULL);",
    // 6: mirrored clips; tracks are turned into format 2 with it
    "ALTER TABLE clip ADD COLUMN mirrored INTEGER NOT NULL DEFAULT 0;",
    // 7: bands agreed with a person or set for a clip
    "CREATE TABLE agreement(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), clip INTEGER REFERENCES clip(id), check_id TEXT "
    "NOT NULL, low REAL, high REAL, off INTEGER NOT NULL DEFAULT 0, reason TEXT NOT NULL, from_day TEXT NOT NULL DEFAULT '', until_day "
    "TEXT NOT NULL DEFAULT '', CHECK((person IS NULL) <> (clip IS NULL)));"
    "CREATE INDEX agreement_person ON agreement(person);",
};

class Query {
public:
    Query(sqlite3* db, const char* sql) : db_(db) { ok_ = sqlite3_prepare_v2(db, sql, -1, &s_, nullptr) == SQLITE_OK; }
    Query(const Query&) = delete;
    Query& operator=(const Query&) = delete;
    ~Query() { sqlite3_finalize(s_); }
    Query& bind(const std::string& v) {
        if (ok_) ok_ = sqlite3_bind_text(s_, ++n_, v.data(), static_cast<int>(v.size()), SQLITE_TRANSIENT) == SQLITE_OK;
        return *this;
    }
    Query& bind(std::int64_t v) {
        if (ok_) ok_ = sqlite3_bind_int64(s_, ++n_, v) == SQLITE_OK;
        return *this;
    }
    Query& bind(double v) {
        if (ok_) ok_ = sqlite3_bind_double(s_, ++n_, v) == SQLITE_OK;
        return *this;
    }
    Query& bind(const std::optional<double>& v) {
        if (v) return bind(*v);
        if (ok_) ok_ = sqlite3_bind_null(s_, ++n_) == SQLITE_OK;
        return *this;
    }
    /// A reference to another row; 0 is none.
    Query& reference(std::int64_t id) {
        if (id != 0) return bind(id);
        if (ok_) ok_ = sqlite3_bind_null(s_, ++n_) == SQLITE_OK;
        return *this;
    }
    Query& blob(const std::string& v) {
        if (ok_) ok_ = sqlite3_bind_blob64(s_, ++n_, v.data(), v.size(), SQLITE_TRANSIENT) == SQLITE_OK;
        return *this;
    }
    bool row() {
        if (!ok_) return false;
        const int rc = sqlite3_step(s_);
        if (rc == SQLITE_ROW) return true;
        ok_ = rc == SQLITE_DONE;
        return false;
    }
    Result<bool> run() {
        row();
        return end();
    }
    Result<bool> end() const {
        if (ok_) return true;
        return fail(Code::write_failed, sqlite3_errmsg(db_));
    }
    std::int64_t integer(int c) const { return sqlite3_column_int64(s_, c); }
    bool absent(int c) const { return sqlite3_column_type(s_, c) == SQLITE_NULL; }
    double real(int c) const { return sqlite3_column_double(s_, c); }
    std::optional<double> maybe_real(int c) const { return absent(c) ? std::nullopt : std::optional(real(c)); }
    std::string text(int c) const {
        const auto* t = reinterpret_cast<const char*>(sqlite3_column_text(s_, c));
        return t ? std::string(t, static_cast<std::size_t>(sqlite3_column_bytes(s_, c))) : std::string();
    }
    std::string bytes(int c) const {
        const auto* b = static_cast<const char*>(sqlite3_column_blob(s_, c));
        return b ? std::string(b, static_cast<std::size_t>(sqlite3_column_bytes(s_, c))) : std::string();
    }

private:
    sqlite3* db_;
    sqlite3_stmt* s_ = nullptr;
    int n_ = 0;
    bool ok_ = false;
};

constexpr const char* clip_columns = "SELECT id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, found, "
                                     "frames_per_s, vertical_seen, neutral_seen, mirrored "
                                     "FROM clip LEFT JOIN quality ON quality.clip = clip.id ";

Clip clip_of(const Query& q) {
    Clip c{q.integer(0), q.integer(1), q.text(2),
           q.text(3),    q.text(4),    q.text(5),
           q.text(6),    q.text(7),    static_cast<ClipState>(std::clamp<std::int64_t>(q.integer(8), 0, 3)),
           q.text(9),    std::nullopt, false};
    c.mirrored = q.integer(14) != 0;
    if (!q.absent(10)) c.quality = ClipQuality{q.real(10), q.real(11), q.integer(12) != 0, q.integer(13) != 0};
    return c;
}

} // namespace

std::string_view state_name(ClipState s) {
    constexpr std::array<std::string_view, 4> n{"waiting", "tracked", "reviewed", "failed"};
    return n[static_cast<std::size_t>(s)];
}

int Library::schema_version() {
    return newest;
}
Library::Library(Library&& o) noexcept : db_(std::exchange(o.db_, nullptr)), folder_(std::move(o.folder_)) {}
Library& Library::operator=(Library&& o) noexcept {
    std::swap(db_, o.db_);
    std::swap(folder_, o.folder_);
    return *this;
}
Library::~Library() {
    sqlite3_close(db_);
}

Result<Library> Library::open(const fs::path& folder) {
    std::error_code ec;
    fs::create_directories(folder / "clips", ec);
    if (ec) return fail(Code::cannot_open, folder.string());
    sqlite3* db = nullptr;
    const auto file = folder / "library.sqlite";
    const int rc = sqlite3_open_v2(file.string().c_str(), &db, SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE | SQLITE_OPEN_FULLMUTEX, nullptr);
    Library lib(db, folder);
    if (rc != SQLITE_OK) return fail(Code::cannot_open, file.string());
    sqlite3_busy_timeout(db, 5000);
    sqlite3_limit(db, SQLITE_LIMIT_LENGTH, 256 << 20);
    for (const char* pragma : {"PRAGMA journal_mode=WAL", "PRAGMA synchronous=FULL", "PRAGMA foreign_keys=ON"}) {
        Query q(db, pragma);
        q.row();
        if (!q.end()) return fail(Code::unreadable, file.string());
    }
    if (auto ok = lib.migrate(); !ok) return tl::unexpected(ok.error());
    return lib;
}

Result<bool> Library::migrate() {
    std::int64_t version = 0;
    {
        Query q(db_, "PRAGMA user_version");
        if (!q.row()) return fail(Code::unreadable, (folder_ / "library.sqlite").string());
        version = q.integer(0);
        Query check(db_, "PRAGMA quick_check(1)");
        if (!check.row() || check.text(0) != "ok") return fail(Code::unreadable, (folder_ / "library.sqlite").string());
    }
    if (version > newest || version < 0) return fail(Code::unreadable, "made by a newer version of Bevel");
    if (version > 0 && version < newest)
        if (auto ok = back_up(static_cast<int>(version)); !ok) return ok;
    for (; version < newest; ++version) {
        const std::string sql = std::string("BEGIN IMMEDIATE;") + steps[static_cast<std::size_t>(version)] +
                                "PRAGMA user_version=" + std::to_string(version + 1) + ";";
        const bool ok = sqlite3_exec(db_, sql.c_str(), nullptr, nullptr, nullptr) == SQLITE_OK && (version + 1 != 6 || renew_tracks()) &&
                        sqlite3_exec(db_, "COMMIT", nullptr, nullptr, nullptr) == SQLITE_OK;
        if (!ok) {
            const std::string why = sqlite3_errmsg(db_);
            sqlite3_exec(db_, "ROLLBACK", nullptr, nullptr, nullptr);
            return fail(Code::unreadable, why);
        }
    }
    return true;
}

Result<bool> Library::back_up(int version) {
    const auto copy = folder_ / ("library-version-" + std::to_string(version) + ".sqlite");
    std::error_code ec;
    if (fs::exists(copy, ec)) return true; // an upgrade that was broken off: the first copy is the one to keep
    Query q(db_, "VACUUM INTO ?");
    if (auto ok = q.bind(copy.string()).run(); !ok) return fail(Code::write_failed, copy.string());
    return true;
}

bool Library::renew_tracks() {
    std::vector<std::int64_t> clips;
    {
        Query q(db_, "SELECT clip FROM track");
        while (q.row()) clips.push_back(q.integer(0));
        if (!q.end()) return false;
    }
    for (const auto id : clips) {
        auto track = load_track(id);
        if (!track) continue; // one that cannot be read stays as it is, and says so when it is opened
        if (!save_track(id, *track)) return false;
    }
    return true;
}

Result<std::int64_t> Library::add_person(const Person& p) {
    if (p.name.empty()) return fail(Code::bad_value, "name");
    Query q(db_, "INSERT INTO person(name, stature_m, notes) VALUES(?,?,?)");
    if (auto ok = q.bind(p.name).bind(p.stature_m).bind(p.notes).run(); !ok) return tl::unexpected(ok.error());
    return sqlite3_last_insert_rowid(db_);
}

Result<bool> Library::update_person(const Person& p) {
    Query q(db_, "UPDATE person SET name=?, stature_m=?, notes=? WHERE id=?");
    return q.bind(p.name).bind(p.stature_m).bind(p.notes).bind(p.id).run();
}

Result<bool> Library::save_quality(std::int64_t clip, const ClipQuality& c) {
    Query q(db_, "INSERT OR REPLACE INTO quality(clip, found, frames_per_s, vertical_seen, neutral_seen) VALUES(?,?,?,?,?)");
    return q.bind(clip).bind(c.found).bind(c.frames_per_s).bind(std::int64_t{c.vertical_seen}).bind(std::int64_t{c.neutral_seen}).run();
}

Result<bool> Library::set_shoulder_width(std::int64_t person, double metres) {
    Query q(db_, "UPDATE person SET shoulder_width_m=? WHERE id=?");
    return q.bind(metres).bind(person).run();
}

Result<std::vector<Person>> Library::people() const {
    Query q(db_, "SELECT id, name, stature_m, notes, shoulder_width_m FROM person ORDER BY name COLLATE NOCASE");
    std::vector<Person> out;
    while (q.row()) out.push_back({q.integer(0), q.text(1), q.real(2), q.text(3), q.real(4)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> Library::add_clip(const Clip& c, const fs::path& source) {
    std::error_code ec;
    // A name of its own: never writes over another clip.
    fs::path target;
    for (int n = 0; n < 100000; ++n) {
        const std::string stem = source.stem().string() + (n == 0 ? "" : "-" + std::to_string(n + 1));
        target = folder_ / "clips" / (stem + source.extension().string());
        if (!fs::exists(target, ec)) break;
    }
    const fs::path part = target.string() + ".part";
    if (!fs::copy_file(source, part, fs::copy_options::overwrite_existing, ec)) return fail(Code::cannot_open, source.string());
    fs::rename(part, target, ec);
    if (ec) return fail(Code::write_failed, target.string());
    Query q(db_, "INSERT INTO clip(person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored) "
                 "VALUES(?,?,?,?,?,?,?,?,?,?)");
    q.bind(c.person)
        .bind("clips/" + target.filename().string())
        .bind(c.movement)
        .bind(c.school)
        .bind(c.view)
        .bind(c.filmed_on)
        .bind(c.arrived_on);
    if (auto ok = q.bind(static_cast<std::int64_t>(c.state)).bind(c.problem).bind(std::int64_t{c.mirrored}).run(); !ok) {
        fs::remove(target, ec);
        return tl::unexpected(ok.error());
    }
    return sqlite3_last_insert_rowid(db_);
}

Result<bool> Library::update_clip(const Clip& c) {
    Query q(db_, "UPDATE clip SET person=?, movement=?, school=?, view=?, filmed_on=?, state=?, problem=?, mirrored=? WHERE id=?");
    return q.bind(c.person)
        .bind(c.movement)
        .bind(c.school)
        .bind(c.view)
        .bind(c.filmed_on)
        .bind(static_cast<std::int64_t>(c.state))
        .bind(c.problem)
        .bind(std::int64_t{c.mirrored})
        .bind(c.id)
        .run();
}

Result<std::vector<Clip>> Library::clips() const {
    Query q(db_, (std::string(clip_columns) + "ORDER BY arrived_on DESC, id DESC").c_str());
    std::vector<Clip> out;
    while (q.row()) out.push_back(clip_of(q));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<Clip> Library::clip(std::int64_t id) const {
    Query q(db_, (std::string(clip_columns) + "WHERE id=?").c_str());
    q.bind(id);
    if (!q.row()) return fail(Code::not_found, "clip");
    return clip_of(q);
}

Result<bool> Library::save_track(std::int64_t clip, const Track& track) {
    Query q(db_, "INSERT INTO track(clip, points) VALUES(?,?) ON CONFLICT(clip) DO UPDATE SET points=excluded.points");
    return q.bind(clip).blob(pack_track(track)).run();
}

Result<Track> Library::load_track(std::int64_t clip) const {
    Query q(db_, "SELECT points FROM track WHERE clip=?");
    q.bind(clip);
    if (!q.row()) return fail(Code::not_found, "track");
    return unpack_track(q.bytes(0));
}

Result<bool> Library::save_decision(std::int64_t clip, const Decision& d) {
    Query q(db_, "INSERT INTO decision(clip, check_id, side, choice, wording, note) VALUES(?,?,?,?,?,?)"
                 " ON CONFLICT(clip, check_id, side) DO UPDATE SET choice=excluded.choice, wording=excluded.wording, note=excluded.note");
    return q.bind(clip).bind(d.check).bind(d.side).bind(static_cast<std::int64_t>(d.choice)).bind(d.wording).bind(d.note).run();
}

Result<std::vector<Decision>> Library::decisions(std::int64_t clip) const {
    Query q(db_, "SELECT check_id, side, choice, wording, note FROM decision WHERE clip=? ORDER BY check_id, side");
    q.bind(clip);
    std::vector<Decision> out;
    while (q.row())
        out.push_back({q.text(0), q.text(1), static_cast<Choice>(std::clamp<std::int64_t>(q.integer(2), 0, 2)), q.text(3), q.text(4)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> Library::save_agreement(const Agreement& a) {
    if (a.reason.empty()) return fail(Code::bad_value, "reason");
    if (a.check.empty() || (a.person == 0) == (a.clip == 0)) return fail(Code::bad_value, "check");
    if (!a.off && ((!a.low && !a.high) || (a.low && a.high && *a.low > *a.high))) return fail(Code::bad_value, "band");
    if (!a.from_day.empty() && !a.until_day.empty() && a.from_day > a.until_day) return fail(Code::bad_value, "days");
    Query q(db_, a.id == 0 ? "INSERT INTO agreement(person, clip, check_id, low, high, off, reason, from_day, until_day) "
                             "VALUES(?,?,?,?,?,?,?,?,?)"
                           : "UPDATE agreement SET person=?, clip=?, check_id=?, low=?, high=?, off=?, reason=?, from_day=?, until_day=? "
                             "WHERE id=?");
    q.reference(a.person)
        .reference(a.clip)
        .bind(a.check)
        .bind(a.low)
        .bind(a.high)
        .bind(std::int64_t{a.off})
        .bind(a.reason)
        .bind(a.from_day);
    q.bind(a.until_day);
    if (a.id != 0) q.bind(a.id);
    if (auto ok = q.run(); !ok) return tl::unexpected(ok.error());
    return a.id != 0 ? a.id : sqlite3_last_insert_rowid(db_);
}

Result<bool> Library::remove_agreement(std::int64_t id) {
    Query q(db_, "DELETE FROM agreement WHERE id=?");
    return q.bind(id).run();
}

namespace {
constexpr const char* agreement_columns = "SELECT id, person, clip, check_id, low, high, off, reason, from_day, until_day FROM agreement ";

Result<std::vector<Agreement>> agreements_of(Query& q) {
    std::vector<Agreement> out;
    while (q.row())
        out.push_back({q.integer(0), q.integer(1), q.integer(2), q.text(3), q.maybe_real(4), q.maybe_real(5), q.integer(6) != 0, q.text(7),
                       q.text(8), q.text(9)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}
} // namespace

Result<std::vector<Agreement>> Library::agreements(std::int64_t person) const {
    Query q(db_, (std::string(agreement_columns) + "WHERE person=? ORDER BY from_day, id").c_str());
    return agreements_of(q.bind(person));
}

Result<std::vector<Agreement>> Library::agreements_for(const Clip& clip) const {
    const std::string day = clip.filmed_on.empty() ? clip.arrived_on : clip.filmed_on;
    Query q(db_, (std::string(agreement_columns) + "WHERE clip=?1 OR (person=?2 AND from_day<=?3 AND (until_day='' OR until_day>=?3)) "
                                                   "ORDER BY clip IS NOT NULL, from_day, id")
                     .c_str());
    return agreements_of(q.bind(clip.id).bind(clip.person).bind(day));
}

Result<std::int64_t> Library::save_letter(const LetterRecord& l) {
    const nlohmann::json body{{"praise", l.praise},
                              {"checks", l.checks},
                              {"opening", l.opening},
                              {"closing", l.closing},
                              {"hide_identity", l.hide_identity},
                              {"signed_by", l.signed_by},
                              {"place", l.place}};
    Query q(db_, "INSERT INTO letter(clip, body, sent_on) VALUES(?,?,?) ON CONFLICT(clip) DO UPDATE SET body=excluded.body, "
                 "sent_on=excluded.sent_on");
    if (auto ok = q.bind(l.clip).bind(body.dump()).bind(l.sent_on).run(); !ok) return tl::unexpected(ok.error());
    Query id(db_, "SELECT id FROM letter WHERE clip=?");
    id.bind(l.clip);
    return id.row() ? id.integer(0) : 0;
}

Result<std::vector<LetterRecord>> Library::letters(std::int64_t clip) const {
    Query q(db_, "SELECT id, clip, body, sent_on FROM letter WHERE clip=? ORDER BY id");
    q.bind(clip);
    std::vector<LetterRecord> out;
    while (q.row()) {
        LetterRecord l;
        l.id = q.integer(0);
        l.clip = q.integer(1);
        l.sent_on = q.text(3);
        try {
            const auto j = nlohmann::json::parse(q.text(2));
            l.praise = j.value("praise", "");
            l.checks = j.value("checks", std::vector<std::string>{});
            l.opening = j.value("opening", "");
            l.closing = j.value("closing", "");
            l.hide_identity = j.value("hide_identity", false);
            l.signed_by = j.value("signed_by", "");
            l.place = j.value("place", "");
        } catch (const nlohmann::json::exception&) {
            return fail(Code::unreadable, "letter");
        }
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

std::string Library::setting(const std::string& key) const {
    Query q(db_, "SELECT value FROM setting WHERE key=?");
    q.bind(key);
    return q.row() ? q.text(0) : std::string();
}

Result<bool> Library::set_setting(const std::string& key, const std::string& value) {
    Query q(db_, "INSERT INTO setting(key, value) VALUES(?,?) ON CONFLICT(key) DO UPDATE SET value=excluded.value");
    return q.bind(key).bind(value).run();
}

Result<bool> Library::compact() {
    for (const char* sql : {"PRAGMA wal_checkpoint(TRUNCATE)", "VACUUM", "PRAGMA journal_mode=DELETE"}) {
        Query q(db_, sql);
        q.row();
        if (auto ok = q.end(); !ok) return ok;
    }
    return true;
}

} // namespace bevel
