#include "store/library.h"
#include "store/query.h"
#include "store/schema.h"
#include <unistd.h>

namespace bevel {
namespace fs = std::filesystem;

std::string_view state_name(ClipState s) {
    constexpr std::array<std::string_view, 5> n{"waiting", "tracked", "reviewed", "failed", "asked"};
    return n[static_cast<std::size_t>(s)];
}

int Library::schema_version() {
    return newest_schema;
}
Library::Library(sqlite3* db, fs::path folder) : db_(db), folder_(std::move(folder)), mutex_(std::make_unique<std::recursive_mutex>()) {}
Library::Library(Library&& o) noexcept
    : db_(std::exchange(o.db_, nullptr)), folder_(std::move(o.folder_)), mutex_(std::move(o.mutex_)), lock_(std::exchange(o.lock_, -1)),
      read_only_(o.read_only_), in_memory_(o.in_memory_), depth_(o.depth_), dangling_(o.dangling_) {}
Library& Library::operator=(Library&& o) noexcept {
    std::swap(db_, o.db_);
    std::swap(folder_, o.folder_);
    std::swap(mutex_, o.mutex_);
    std::swap(lock_, o.lock_);
    std::swap(read_only_, o.read_only_);
    std::swap(in_memory_, o.in_memory_);
    std::swap(dangling_, o.dangling_);
    return *this;
}
Library::~Library() {
    sqlite3_close(db_);
    if (lock_ >= 0) ::close(lock_);
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
