#include "store/library.h"
#include "core/files.h"
#include "store/query.h"
#include <fcntl.h>
#include <sys/file.h>
#include <unistd.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;
constexpr int newest = 17;

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
    // 8: heights with their dates, hashes of clips, letters as they were sent (never changed), bodies half found, files on the way in or
    // out, backups that were made
    "CREATE TABLE height(person INTEGER NOT NULL REFERENCES person(id), day TEXT NOT NULL, stature_m REAL NOT NULL, PRIMARY KEY(person, "
    "day));"
    "INSERT INTO height SELECT id, '', stature_m FROM person;"
    "ALTER TABLE clip ADD COLUMN hash TEXT NOT NULL DEFAULT '';"
    "CREATE TABLE sent(id INTEGER PRIMARY KEY, person INTEGER NOT NULL REFERENCES person(id), clip INTEGER REFERENCES clip(id), sent_at "
    "TEXT NOT NULL, kind TEXT NOT NULL, name TEXT NOT NULL, hidden INTEGER NOT NULL, body TEXT NOT NULL, file BLOB NOT NULL);"
    "CREATE TRIGGER sent_stays BEFORE UPDATE OF person, sent_at, kind, name, hidden, body, file ON sent BEGIN SELECT RAISE(ABORT, 'what "
    "was sent is not changed'); END;"
    "CREATE TABLE unfinished(clip INTEGER PRIMARY KEY REFERENCES clip(id), done INTEGER NOT NULL, points BLOB NOT NULL);"
    "CREATE TABLE leftover(file TEXT PRIMARY KEY);"
    "CREATE TABLE backup(file TEXT PRIMARY KEY, made_on TEXT NOT NULL);",
    // 9: clips of which nobody has said yet whose they are, with what they tell themselves; their turn; what stands in the way of judging
    "CREATE TABLE clip_9(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), file TEXT NOT NULL, movement TEXT NOT NULL,"
    " school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT NULL DEFAULT "
    "'', state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '', mirrored INTEGER NOT NULL DEFAULT 0, hash TEXT NOT NULL "
    "DEFAULT "
    "'', named TEXT NOT NULL DEFAULT '', guess TEXT NOT NULL DEFAULT '', turn INTEGER NOT NULL DEFAULT 0);"
    "INSERT INTO clip_9(id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, turn) "
    "SELECT id, person, coalesce(file, ''), coalesce(movement, ''), coalesce(school, ''), coalesce(view, ''), coalesce(filmed_on, ''), "
    "coalesce(arrived_on, ''), coalesce(state, 0), coalesce(problem, ''), mirrored, hash, id FROM clip;"
    "DROP TABLE clip;"
    "ALTER TABLE clip_9 RENAME TO clip;"
    "CREATE INDEX clip_person ON clip(person);"
    "ALTER TABLE quality ADD COLUMN limits TEXT NOT NULL DEFAULT '';",
    // 10: pairs of clips, parts of a file, what was in hand or under foot, which of several people is meant, places where the camera
    // stands, until when a person's films are kept
    "ALTER TABLE clip ADD COLUMN pair INTEGER NOT NULL DEFAULT 0;"
    "ALTER TABLE clip ADD COLUMN part_from_s REAL;"
    "ALTER TABLE clip ADD COLUMN part_to_s REAL;"
    "ALTER TABLE clip ADD COLUMN states TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN footwear TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN surface TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN meant TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN look BLOB NOT NULL DEFAULT x'';"
    "CREATE INDEX clip_file ON clip(file);"
    "CREATE TABLE camera_place(id INTEGER PRIMARY KEY, name TEXT NOT NULL UNIQUE, width INTEGER NOT NULL, height INTEGER NOT NULL, marks "
    "TEXT NOT NULL, look BLOB NOT NULL);"
    "ALTER TABLE person ADD COLUMN keep_until TEXT NOT NULL DEFAULT '';",
    // 11: a person's own fist and foot as units; own movements
    "CREATE TABLE own_form(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "ALTER TABLE person ADD COLUMN fist_m REAL NOT NULL DEFAULT 0;"
    "ALTER TABLE person ADD COLUMN foot_m REAL NOT NULL DEFAULT 0;",
    // 12: what the instructor saw, without a figure; own schools; the clip that stands beside students' clips of a movement
    "CREATE TABLE seen(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL REFERENCES clip(id), time_s REAL NOT NULL, family INTEGER NOT NULL, "
    "side TEXT NOT NULL, safety INTEGER NOT NULL, words TEXT NOT NULL);"
    "CREATE INDEX seen_clip ON seen(clip);"
    "CREATE TABLE own_school(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE model(movement TEXT PRIMARY KEY, clip INTEGER NOT NULL REFERENCES clip(id));",
    // 13: what is known of a person, how it went on the day of a clip, and the figures of each clip, so that years of them are read at once
    "CREATE TABLE facts(person INTEGER PRIMARY KEY REFERENCES person(id), body TEXT NOT NULL);"
    "CREATE TABLE condition(clip INTEGER PRIMARY KEY REFERENCES clip(id), pain TEXT NOT NULL, energy INTEGER);"
    "CREATE TABLE figures_of(clip INTEGER PRIMARY KEY REFERENCES clip(id), count INTEGER NOT NULL);"
    "CREATE TABLE figure(clip INTEGER NOT NULL REFERENCES clip(id), movement TEXT NOT NULL, view TEXT NOT NULL, check_id TEXT NOT NULL, "
    "side TEXT NOT NULL, measure TEXT NOT NULL, unit TEXT NOT NULL, value REAL NOT NULL, own REAL NOT NULL, of_clip REAL NOT NULL, "
    "person_part REAL NOT NULL, low REAL, high REAL, matters REAL NOT NULL, judged INTEGER NOT NULL, reference INTEGER NOT NULL, PRIMARY "
    "KEY(clip, check_id, side));",
    // 14: what became of a letter, own words and templates, plans and what was practised; what is asked of ten years is found by indices
    "ALTER TABLE letter ADD COLUMN how TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN answered_on TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN answer TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN review_on TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN went TEXT NOT NULL DEFAULT '';" // body as it went out; the draft may be changed afterwards
    "UPDATE letter SET went=body WHERE sent_on<>'';"
    "CREATE INDEX letter_review ON letter(review_on);"
    "CREATE TABLE phrase(id INTEGER PRIMARY KEY, check_id TEXT NOT NULL, direction TEXT NOT NULL, role TEXT NOT NULL, language TEXT NOT "
    "NULL, words TEXT NOT NULL, used INTEGER NOT NULL, last_on TEXT NOT NULL, UNIQUE(check_id, direction, role, language, words));"
    "CREATE TABLE own_letter(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE own_plan(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE practice(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), day TEXT NOT NULL, title TEXT NOT NULL, minutes "
    "REAL NOT NULL, effort INTEGER, felt TEXT NOT NULL, pain TEXT NOT NULL, done TEXT NOT NULL, plan TEXT NOT NULL);"
    "CREATE INDEX practice_person ON practice(person, day);"
    "CREATE INDEX sent_person ON sent(person, sent_at);"
    "CREATE INDEX clip_state ON clip(state);"
    "CREATE INDEX clip_arrived ON clip(arrived_on, id);"
    "CREATE INDEX clip_turn ON clip(turn);"
    "CREATE INDEX clip_movement ON clip(person, movement);"
    "CREATE INDEX decision_clip ON decision(clip, choice);",
    // 15: which graded version a clip shows and its figures are of; films that were deleted on purpose
    "ALTER TABLE clip ADD COLUMN version TEXT;"
    "ALTER TABLE clip ADD COLUMN film_dropped INTEGER NOT NULL DEFAULT 0;"
    "ALTER TABLE figure ADD COLUMN version TEXT NOT NULL DEFAULT '';"
    // What is searched and what is asked of a person's line of clips is told by indices alone.
    "DROP INDEX clip_arrived;"
    "CREATE INDEX clip_search ON clip(arrived_on, id, person, movement, filmed_on, state, named);"
    "DROP INDEX clip_movement;"
    "CREATE INDEX clip_line ON clip(person, movement, filmed_on, arrived_on, pair);",
    // 16: what else a clip may show than it is named, and what it is judged as all the same
    "ALTER TABLE clip ADD COLUMN which TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN as_named TEXT NOT NULL DEFAULT '';",
    // 17: ids of people and clips are never used again, so that what comes late for one that was deleted lands on nobody; a person's own
    // neutral and comfortable range
    "CREATE TABLE person_17(id INTEGER PRIMARY KEY AUTOINCREMENT, name TEXT NOT NULL, stature_m REAL NOT NULL CHECK(stature_m BETWEEN 0.8 "
    "AND 2.5), notes TEXT NOT NULL DEFAULT '', shoulder_width_m REAL NOT NULL DEFAULT 0, keep_until TEXT NOT NULL DEFAULT '', fist_m REAL "
    "NOT NULL DEFAULT 0, foot_m REAL NOT NULL DEFAULT 0, neutral TEXT NOT NULL DEFAULT '');"
    "INSERT INTO person_17(id, name, stature_m, notes, shoulder_width_m, keep_until, fist_m, foot_m) SELECT id, name, stature_m, notes, "
    "shoulder_width_m, keep_until, fist_m, foot_m FROM person;"
    "DROP TABLE person;"
    "ALTER TABLE person_17 RENAME TO person;"
    "CREATE TABLE clip_17(id INTEGER PRIMARY KEY AUTOINCREMENT, person INTEGER REFERENCES person(id), file TEXT NOT NULL, movement TEXT "
    "NOT NULL, school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT "
    "NULL DEFAULT '', state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '', mirrored INTEGER NOT NULL DEFAULT 0, hash TEXT "
    "NOT NULL DEFAULT '', named TEXT NOT NULL DEFAULT '', guess TEXT NOT NULL DEFAULT '', turn INTEGER NOT NULL DEFAULT 0, pair INTEGER "
    "NOT NULL DEFAULT 0, part_from_s REAL, part_to_s REAL, states TEXT NOT NULL DEFAULT '', footwear TEXT NOT NULL DEFAULT '', surface "
    "TEXT NOT NULL DEFAULT '', meant TEXT NOT NULL DEFAULT '', look BLOB NOT NULL DEFAULT x'', version TEXT, film_dropped INTEGER NOT NULL "
    "DEFAULT 0, which TEXT NOT NULL DEFAULT '', as_named TEXT NOT NULL DEFAULT '');"
    "INSERT INTO clip_17(id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, guess, "
    "turn, pair, part_from_s, part_to_s, states, footwear, surface, meant, look, version, film_dropped, which, as_named) SELECT id, "
    "person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, guess, turn, pair, part_from_s, "
    "part_to_s, states, footwear, surface, meant, look, version, film_dropped, which, as_named FROM clip;"
    "DROP TABLE clip;"
    "ALTER TABLE clip_17 RENAME TO clip;"
    "CREATE INDEX clip_person ON clip(person);"
    "CREATE INDEX clip_file ON clip(file);"
    "CREATE INDEX clip_state ON clip(state);"
    "CREATE INDEX clip_turn ON clip(turn);"
    "CREATE INDEX clip_search ON clip(arrived_on, id, person, movement, filmed_on, state, named);"
    "CREATE INDEX clip_line ON clip(person, movement, filmed_on, arrived_on, pair);",
};

} // namespace

std::string_view state_name(ClipState s) {
    constexpr std::array<std::string_view, 5> n{"waiting", "tracked", "reviewed", "failed", "asked"};
    return n[static_cast<std::size_t>(s)];
}

int Library::schema_version() {
    return newest;
}
Library::Library(sqlite3* db, fs::path folder) : db_(db), folder_(std::move(folder)), mutex_(std::make_unique<std::recursive_mutex>()) {}
Library::Library(Library&& o) noexcept
    : db_(std::exchange(o.db_, nullptr)), folder_(std::move(o.folder_)), mutex_(std::move(o.mutex_)), lock_(std::exchange(o.lock_, -1)),
      read_only_(o.read_only_), in_memory_(o.in_memory_), depth_(o.depth_) {}
Library& Library::operator=(Library&& o) noexcept {
    std::swap(db_, o.db_);
    std::swap(folder_, o.folder_);
    std::swap(mutex_, o.mutex_);
    std::swap(lock_, o.lock_);
    std::swap(read_only_, o.read_only_);
    std::swap(in_memory_, o.in_memory_);
    return *this;
}
Library::~Library() {
    sqlite3_close(db_);
    if (lock_ >= 0) ::close(lock_);
}

Result<Library> Library::open(const fs::path& folder) {
    std::error_code ec;
    fs::create_directories(folder / "clips", ec);
    if (ec) return fail(Code::cannot_open, folder.string());
    const auto file = folder / "library.sqlite";
    Library lib(nullptr, folder);
    // One owner: the lock goes with the process, however it ends.
    lib.lock_ = ::open((folder / "library.lock").c_str(), O_RDWR | O_CREAT | O_CLOEXEC, 0600);
    if (lib.lock_ < 0) {
        lib.read_only_ = true; // a folder that cannot be written to
    } else if (::flock(lib.lock_, LOCK_EX | LOCK_NB) != 0) {
        return fail(Code::in_use, folder.string());
    }
    if (!lib.read_only_ && fs::exists(file, ec)) {
        // Made by a newer Bevel: looked at, never written to.
        sqlite3* look = nullptr;
        if (sqlite3_open_v2(file.string().c_str(), &look, SQLITE_OPEN_READONLY, nullptr) == SQLITE_OK) {
            Query version(look, "PRAGMA user_version");
            lib.read_only_ = version.row() && version.integer(0) > newest;
        }
        sqlite3_close(look);
    }
    const int how = lib.read_only_ ? SQLITE_OPEN_READONLY : SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE;
    const int rc = sqlite3_open_v2(file.string().c_str(), &lib.db_, how | SQLITE_OPEN_FULLMUTEX, nullptr);
    if (rc != SQLITE_OK) return fail(Code::cannot_open, file.string());
    sqlite3_busy_timeout(lib.db_, 5000);
    sqlite3_limit(lib.db_, SQLITE_LIMIT_LENGTH, 256 << 20);
    if (lib.read_only_) {
        {
            Query check(lib.db_, "SELECT count(*) FROM person");
            if (!check.row()) return fail(Code::unreadable, file.string());
        }
        if (auto ok = lib.bring_up_in_memory(); !ok) return tl::unexpected(ok.error());
        return lib;
    }
    for (const char* pragma : {"PRAGMA journal_mode=WAL", "PRAGMA synchronous=FULL", "PRAGMA foreign_keys=ON", "PRAGMA secure_delete=ON"}) {
        Query q(lib.db_, pragma);
        q.row();
        if (!q.end()) return fail(Code::unreadable, file.string());
    }
    if (auto ok = lib.migrate(); !ok) return tl::unexpected(ok.error());
    lib.clean_up();
    return lib;
}

Result<bool> Library::together(const std::function<Result<bool>()>& work) {
    const std::lock_guard lock(*mutex_);
    if (depth_ > 0) return work(); // part of a larger whole
    if (read_only_) return fail(Code::write_failed, "read_only");
    auto run = [&](const char* sql) { return sqlite3_exec(db_, sql, nullptr, nullptr, nullptr) == SQLITE_OK; };
    if (!run("BEGIN IMMEDIATE")) return fail(Code::write_failed, sqlite3_errmsg(db_));
    ++depth_;
    auto ok = work();
    --depth_;
    if (ok && run("COMMIT")) return true;
    if (ok) ok = fail(Code::write_failed, sqlite3_errmsg(db_));
    run("ROLLBACK");
    return ok;
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
    if (version > newest || version < 0) return fail(Code::unreadable, (folder_ / "library.sqlite").string());
    if (version > 0 && version < newest && !in_memory_)
        if (auto ok = back_up(static_cast<int>(version)); !ok) return ok;
    // A table that others point to is made anew: what points to it is checked afterwards.
    if (version < newest) sqlite3_exec(db_, "PRAGMA foreign_keys=OFF", nullptr, nullptr, nullptr);
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
    sqlite3_exec(db_, "PRAGMA foreign_keys=ON", nullptr, nullptr, nullptr);
    Query dangling(db_, "PRAGMA foreign_key_check");
    if (dangling.row()) return fail(Code::unreadable, "references: " + dangling.text(0));
    return true;
}

/// An older library in a folder that cannot be written to is brought up in memory, and read there.
Result<bool> Library::bring_up_in_memory() {
    {
        Query version(db_, "PRAGMA user_version");
        if (!version.row() || version.integer(0) >= newest) return true;
    }
    sqlite3* memory = nullptr;
    if (sqlite3_open_v2(":memory:", &memory, SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE | SQLITE_OPEN_FULLMUTEX, nullptr) != SQLITE_OK)
        return fail(Code::unreadable, "memory");
    auto* copy = sqlite3_backup_init(memory, "main", db_, "main");
    const bool whole = copy && sqlite3_backup_step(copy, -1) == SQLITE_DONE;
    sqlite3_backup_finish(copy);
    sqlite3_close(std::exchange(db_, memory));
    if (!whole) return fail(Code::unreadable, (folder_ / "library.sqlite").string());
    in_memory_ = true;
    read_only_ = false;
    auto ok = migrate();
    read_only_ = true;
    return ok;
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

Result<std::int64_t> Library::add_person(const Person& p, const std::string& day) {
    if (p.name.empty()) return fail(Code::bad_value, "name");
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO person(name, stature_m, notes) VALUES(?,?,?)");
        if (auto done = q.bind(p.name).bind(p.stature_m).bind(p.notes).run(); !done) return done;
        id = sqlite3_last_insert_rowid(db_);
        Query h(db_, "INSERT INTO height(person, day, stature_m) VALUES(?,?,?)");
        return h.bind(id).bind(day).bind(p.stature_m).run();
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> Library::update_person(const Person& p) {
    return write([&] {
        Query q(db_, "UPDATE person SET name=?, notes=? WHERE id=?");
        return q.bind(p.name).bind(p.notes).bind(p.id).run();
    });
}

Result<bool> Library::set_height(std::int64_t person, const std::string& day, double metres) {
    return together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO height(person, day, stature_m) VALUES(?,?,?) ON CONFLICT(person, day) DO UPDATE SET "
                     "stature_m=excluded.stature_m");
        if (auto ok = q.bind(person).bind(day).bind(metres).run(); !ok) return ok;
        for (const char* sql : {"DELETE FROM figure WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                "DELETE FROM figures_of WHERE clip IN (SELECT id FROM clip WHERE person=?)"}) {
            Query figures(db_, sql); // another height, other figures
            if (auto ok = figures.bind(person).run(); !ok) return ok;
        }
        Query last(db_, "UPDATE person SET stature_m=(SELECT stature_m FROM height WHERE person=?1 ORDER BY day DESC LIMIT 1) WHERE id=?1");
        return last.bind(person).run();
    });
}

Result<double> Library::height_at(std::int64_t person, const std::string& day) const {
    const std::lock_guard lock(*mutex_);
    if (!has_heights()) {
        Query q(db_, "SELECT stature_m FROM person WHERE id=?");
        q.bind(person);
        return q.row() ? Result<double>(q.real(0)) : fail(Code::not_found, "person");
    }
    // The last one up to that day; before the first, the first.
    Query q(db_, "SELECT stature_m FROM height WHERE person=?1 ORDER BY day<=?2 DESC, CASE WHEN day<=?2 THEN day END DESC, day LIMIT 1");
    q.bind(person).bind(day);
    return q.row() ? Result<double>(q.real(0)) : fail(Code::not_found, "person");
}

bool Library::has_heights() const {
    Query q(db_, "SELECT 1 FROM sqlite_master WHERE name='height'");
    return q.row();
}

Result<bool> Library::set_shoulder_width(std::int64_t person, double metres) {
    return write([&] {
        Query q(db_, "UPDATE person SET shoulder_width_m=? WHERE id=?");
        return q.bind(metres).bind(person).run();
    });
}

Result<bool> Library::set_own_units(std::int64_t person, double fist_m, double foot_m) {
    return write([&] {
        Query q(db_, "UPDATE person SET fist_m=?, foot_m=? WHERE id=?");
        return q.bind(fist_m).bind(foot_m).bind(person).run();
    });
}

Result<std::vector<std::pair<std::string, double>>> Library::heights(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT day, stature_m FROM height WHERE person=? ORDER BY day");
    q.bind(person);
    std::vector<std::pair<std::string, double>> out;
    while (q.row()) out.emplace_back(q.text(0), q.real(1));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<Person>> Library::people() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_,
            "SELECT id, name, stature_m, notes, shoulder_width_m, keep_until, fist_m, foot_m, neutral FROM person ORDER BY name COLLATE "
            "NOCASE");
    std::vector<Person> out;
    while (q.row()) {
        out.push_back({q.integer(0), q.text(1), q.real(2), q.text(3), q.real(4), q.text(5), q.real(6), q.real(7)});
        if (auto own = parse_neutral(q.text(8))) out.back().neutral = std::move(*own); // one that is damaged is set anew
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

std::string Library::setting(const std::string& key) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT value FROM setting WHERE key=?");
    q.bind(key);
    return q.row() ? q.text(0) : std::string();
}

Result<bool> Library::set_setting(const std::string& key, const std::string& value) {
    return write([&] {
        Query q(db_, "INSERT INTO setting(key, value) VALUES(?,?) ON CONFLICT(key) DO UPDATE SET value=excluded.value");
        return q.bind(key).bind(value).run();
    });
}

} // namespace bevel
