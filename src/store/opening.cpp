// Opening a library: what it may meet there, bringing an older one up to date, reading where nothing can be written.
#include "core/files.h"
#include "store/connection.h"
#include "store/library.h"
#include "store/query.h"
#include "store/schema.h"
#include <algorithm>
#include <fcntl.h>
#include <set>
#include <sys/file.h>
#include <unistd.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;

constexpr std::array<const char*, 5> trouble_words{"", "library missing: ", "library damaged: ", "library full: ", "library closed: "};

tl::unexpected<Error> trouble(Library::Trouble t, const fs::path& what) {
    constexpr std::array codes{Code::bad_value, Code::not_found, Code::unreadable, Code::write_failed, Code::cannot_open};
    const auto k = static_cast<std::size_t>(t);
    return fail(codes[k], trouble_words[k] + what.string());
}

/// What the database says is the matter.
tl::unexpected<Error> trouble_of_db(sqlite3* db, const fs::path& file) {
    using T = Library::Trouble;
    switch (sqlite3_errcode(db) & 0xff) {
    case SQLITE_FULL:
        return trouble(T::full, file);
    case SQLITE_CANTOPEN:
    case SQLITE_READONLY:
    case SQLITE_PERM:
    case SQLITE_AUTH:
        return trouble(T::closed, file);
    case SQLITE_IOERR: // a full disk shows as this, too, where the journal grows
        return trouble(errno == ENOSPC || errno == EDQUOT ? T::full : T::damaged, file);
    default:
        return trouble(T::damaged, file);
    }
}

bool has_films(const fs::path& folder) {
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(folder / "clips", ec))
        if (e.is_regular_file(ec) && !e.path().string().ends_with(unfinished)) return true;
    return false;
}

/// A file name as the database wants it in an address.
std::string address_of(const fs::path& file) {
    std::string out = "file:";
    constexpr const char* digits = "0123456789ABCDEF";
    for (const char c : fs::absolute(file).string())
        if (c == '%' || c == '?' || c == '#') {
            out += '%';
            out += digits[static_cast<unsigned char>(c) >> 4U];
            out += digits[static_cast<unsigned char>(c) & 15U];
        } else {
            out += c;
        }
    return out;
}

bool is_whole(sqlite3* db) {
    Query check(db, "PRAGMA quick_check(1)");
    return check.row() && check.text(0) == "ok";
}
std::int64_t version_of(sqlite3* db) {
    Query q(db, "PRAGMA user_version");
    return q.row() ? q.integer(0) : -1;
}

struct Closed {
    void operator()(sqlite3* db) const { sqlite3_close(db); }
};
using Db = std::unique_ptr<sqlite3, Closed>;
Db opened(const std::string& name, int how) {
    sqlite3* db = nullptr;
    const int rc = sqlite3_open_v2(name.c_str(), &db, how | SQLITE_OPEN_FULLMUTEX, nullptr);
    Db out(db);
    if (rc != SQLITE_OK) out.reset();
    return out;
}

/// What an earlier program left readable for others is for its owner alone: clips are of people. Only what is the library's own; the folder
/// may hold other things.
void keep_private(const fs::path& folder) {
    std::error_code ec;
    const auto close = [&](const fs::path& what) {
        const auto now = fs::symlink_status(what, ec);
        if (ec || fs::is_symlink(now)) return;
        if ((now.permissions() & (fs::perms::group_all | fs::perms::others_all)) != fs::perms::none)
            fs::permissions(what, now.permissions() & fs::perms::owner_all, ec);
    };
    for (const auto& e : fs::directory_iterator(folder, ec)) {
        const auto name = e.path().filename().string();
        if (name.starts_with("library.sqlite") || name.starts_with("library-version-") || name == "library.lock") close(e.path());
    }
    for (const char* own : {"clips", "spoken"}) {
        close(folder / own);
        for (auto it = fs::recursive_directory_iterator(folder / own, ec); !ec && it != fs::recursive_directory_iterator();
             it.increment(ec))
            close(it->path());
    }
}

/// "bundle-7.mp4", and nothing that somebody else may have put there.
bool is_old_bundle_film(const fs::path& file) {
    const std::string stem = file.stem().string();
    static const std::set<std::string> endings{".mp4", ".mov", ".webm", ".mkv", ".avi", ".m4v"};
    return stem.starts_with("bundle-") && stem.size() > 7 &&
           std::all_of(stem.begin() + 7, stem.end(), [](char c) { return c >= '0' && c <= '9'; }) &&
           endings.contains(file.extension().string());
}

/// The whole of one database in another.
bool copied(sqlite3* from, sqlite3* to) {
    auto* copy = sqlite3_backup_init(to, "main", from, "main");
    const bool whole = copy && sqlite3_backup_step(copy, -1) == SQLITE_DONE;
    return sqlite3_backup_finish(copy) == SQLITE_OK && whole;
}

} // namespace

Library::Trouble Library::trouble_of(const Error& e) {
    for (std::size_t k = 1; k < trouble_words.size(); ++k)
        if (e.context.starts_with(trouble_words[k])) return static_cast<Trouble>(k);
    return Trouble::none;
}

Result<bool> Connection::open(bool reading) {
    using T = Library::Trouble;
    std::error_code ec;
    const auto file = folder / "library.sqlite";
    const auto size = fs::file_size(file, ec);
    const bool nothing = ec || size == 0; // a file of no length is what a crash leaves of one that was never written
    if (nothing && (reading || has_films(folder))) return trouble(T::missing, folder);
    if (!reading) fs::create_directories(folder / "clips", ec);
    if (!reading && ec && nothing) return trouble(T::closed, folder);
    if (!reading) {
        // One owner: the lock goes with the process, however it ends.
        lock_ = ::open((folder / "library.lock").c_str(), O_RDWR | O_CREAT | O_CLOEXEC, 0600);
        if (lock_ >= 0 && ::flock(lock_, LOCK_EX | LOCK_NB) != 0) return fail(Code::in_use, folder.string());
    }
    if (lock_ < 0) return open_for_reading(reading); // a folder that cannot be written to, or it was asked for
    if (!nothing) {
        // Made by a newer Bevel: looked at, never written to.
        const auto look = opened(file.string(), SQLITE_OPEN_READONLY);
        if (look && version_of(look.get()) > newest_schema) return open_for_reading(false);
    }
    const int rc = sqlite3_open_v2(file.string().c_str(), &db, SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE | SQLITE_OPEN_FULLMUTEX, nullptr);
    if (rc != SQLITE_OK) return trouble(T::closed, file);
    if (sqlite3_db_readonly(db, "main") == 1) { // the file itself may not be written to
        sqlite3_close(std::exchange(db, nullptr));
        return open_for_reading(false);
    }
    sqlite3_busy_timeout(db, 5000);
    sqlite3_limit(db, SQLITE_LIMIT_LENGTH, 256 << 20);
    for (const char* pragma : {"PRAGMA journal_mode=WAL", "PRAGMA synchronous=FULL", "PRAGMA foreign_keys=ON", "PRAGMA secure_delete=ON"}) {
        Query q(db, pragma);
        errno = 0;
        q.row();
        if (!q.end()) return trouble_of_db(db, file);
    }
    if (auto ok = migrate(); !ok) return ok;
    clean_up();
    keep_private(folder);
    return true;
}

/// Where nothing can be written, or is to be: an older or damaged one as far as it goes, in memory.
Result<bool> Connection::open_for_reading(bool in_spite_of_damage) {
    read_only = true;
    const auto file = folder / "library.sqlite";
    std::error_code ec;
    // What the last run wrote may still stand in the journal beside it, which only a writer can read: both are copied to where they can be.
    const auto journal = folder / "library.sqlite-wal";
    if (fs::exists(journal, ec) && fs::file_size(journal, ec) > 0) {
        std::string place = (fs::temp_directory_path(ec) / "bevel-XXXXXX").string();
        if (!::mkdtemp(place.data())) return trouble(Library::Trouble::full, place);
        const auto clear = [&] { fs::remove_all(place, ec); };
        const auto one = copy_whole(file, fs::path(place) / "library.sqlite"),
                   two = copy_whole(journal, fs::path(place) / "library.sqlite-wal");
        Result<bool> ok = one && two ? Result<bool>(true) : trouble(Library::Trouble::closed, file);
        if (ok) {
            const auto copy = opened((fs::path(place) / "library.sqlite").string(), SQLITE_OPEN_READWRITE);
            ok = copy ? bring_up_in_memory(copy.get()) : trouble(Library::Trouble::damaged, file);
        }
        clear();
        return ok;
    }
    auto found = opened(address_of(file) + "?immutable=1", SQLITE_OPEN_READONLY | SQLITE_OPEN_URI);
    if (!found) return trouble(Library::Trouble::closed, file);
    sqlite3_limit(found.get(), SQLITE_LIMIT_LENGTH, 256 << 20);
    const auto version = version_of(found.get());
    const auto readable = [&] {
        Query people(found.get(), "SELECT count(*) FROM person");
        return people.row();
    };
    if (version < 0 || !readable()) return trouble(Library::Trouble::damaged, file);
    if (version < newest_schema) return bring_up_in_memory(found.get());
    if (!in_spite_of_damage && !is_whole(found.get())) return trouble(Library::Trouble::damaged, file);
    db = found.release();
    return true;
}

Result<bool> Connection::bring_up_in_memory(sqlite3* from) {
    const auto file = folder / "library.sqlite";
    auto memory = opened(":memory:", SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE);
    if (!memory || !copied(from, memory.get())) return trouble(Library::Trouble::damaged, file);
    db = memory.release();
    in_memory_ = true;
    read_only = false;
    auto ok = migrate();
    read_only = true;
    return ok;
}

Result<bool> Connection::migrate() {
    const auto file = folder / "library.sqlite";
    auto version = version_of(db);
    if (version < 0 || !is_whole(db)) return trouble_of_db(db, file);
    if (version > newest_schema) return in_memory_ ? Result<bool>(true) : trouble(Library::Trouble::damaged, file);
    if (version > 0 && version < newest_schema && !in_memory_)
        if (auto ok = back_up(static_cast<int>(version)); !ok) return ok;
    // A table that others point to is made anew: what points to it is checked afterwards.
    if (version < newest_schema) sqlite3_exec(db, "PRAGMA foreign_keys=OFF", nullptr, nullptr, nullptr);
    for (; version < newest_schema; ++version) {
        const std::string sql = std::string("BEGIN IMMEDIATE;") + schema_steps[static_cast<std::size_t>(version)] +
                                "PRAGMA user_version=" + std::to_string(version + 1) + ";";
        errno = 0;
        const bool ok = sqlite3_exec(db, sql.c_str(), nullptr, nullptr, nullptr) == SQLITE_OK && (version + 1 != 6 || renew_tracks()) &&
                        sqlite3_exec(db, "COMMIT", nullptr, nullptr, nullptr) == SQLITE_OK;
        if (!ok) {
            const auto why = trouble_of_db(db, file);
            sqlite3_exec(db, "ROLLBACK", nullptr, nullptr, nullptr);
            return why;
        }
    }
    sqlite3_exec(db, "PRAGMA foreign_keys=ON", nullptr, nullptr, nullptr);
    // One row that points nowhere is no reason to keep all others from being seen.
    Query astray(db, "PRAGMA foreign_key_check");
    while (astray.row()) ++dangling;
    return true;
}

bool Connection::renew_tracks() {
    std::vector<std::int64_t> clips;
    {
        Query q(db, "SELECT clip FROM track");
        while (q.row()) clips.push_back(q.integer(0));
        if (!q.end()) return false;
    }
    TrackStore tracks(*this);
    for (const auto id : clips) {
        auto track = tracks.load(id);
        if (!track) continue; // one that cannot be read stays as it is, and says so when it is opened
        if (!tracks.save(id, *track)) return false;
    }
    return true;
}

/// What it was before it is changed: whole and on the disk, or the upgrade does not begin.
Result<bool> Connection::back_up(int version) {
    const auto copy = folder / ("library-version-" + std::to_string(version) + ".sqlite");
    auto part = copy;
    part += bevel::unfinished;
    std::error_code ec;
    if (fs::exists(copy, ec)) { // an upgrade that was broken off: the first copy is the one to keep, if it is one
        const auto had = opened(address_of(copy) + "?immutable=1", SQLITE_OPEN_READONLY | SQLITE_OPEN_URI);
        if (had && version_of(had.get()) == version && is_whole(had.get())) return true;
    }
    fs::remove(part, ec);
    {
        Query q(db, "VACUUM INTO ?");
        errno = 0;
        if (auto ok = q.bind(part.string()).run(); !ok) {
            const auto why = trouble_of_db(db, copy);
            fs::remove(part, ec);
            return why;
        }
    }
    return put_whole_in_place(part, copy);
}

void Connection::clean_up() {
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(folder / "clips", ec))
        if (e.path().string().ends_with(bevel::unfinished)) fs::remove(e.path(), ec);
    fs::remove(folder / "library.sqlite.part", ec);
    fs::remove_all(mail_folder_of(folder), ec);
    for (const auto& e : fs::directory_iterator(folder, ec)) // of a program before films were put right where they belong
        if (e.is_regular_file(ec) && is_old_bundle_film(e.path())) fs::remove(e.path(), ec);
    std::vector<std::string> files, outside;
    {
        Query q(db, "SELECT file FROM leftover WHERE file NOT IN (SELECT file FROM clip)");
        while (q.row()) files.push_back(q.text(0));
        Query p(db, "SELECT file FROM pending");
        while (p.row()) outside.push_back(p.text(0));
        if (!q.end() || !p.end()) return; // next time
    }
    const ClipStore clips(*this);
    for (const auto& f : files) {
        Clip c;
        c.file = f;
        if (clips.has_file(c)) fs::remove(clips.path_of(c), ec);
    }
    for (const auto& f : outside)
        if (f.find(bevel::unfinished) != std::string::npos) fs::remove(f, ec);
    sqlite3_exec(db, "DELETE FROM leftover; DELETE FROM pending", nullptr, nullptr, nullptr);
}

} // namespace bevel
