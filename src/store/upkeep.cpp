// What keeps the library in order: leftovers, deleting and erasing, one file for all of it.
#include "core/files.h"
#include "store/library.h"
#include "store/query.h"
#include <algorithm>
#include <archive.h>
#include <archive_entry.h>
#include <fcntl.h>
#include <fstream>
#include <unistd.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;

using Writer = std::unique_ptr<archive, decltype([](archive* a) { archive_write_free(a); })>;
using Reader = std::unique_ptr<archive, decltype([](archive* a) { archive_read_free(a); })>;
using Entry = std::unique_ptr<archive_entry, decltype([](archive_entry* e) { archive_entry_free(e); })>;

/// All rows of a person, in the order of their references. What an older library does not have is passed over.
bool erase_rows(sqlite3* db, std::int64_t person) {
    const std::array<const char*, 18> all{"DELETE FROM practice WHERE person=?",
                                          "DELETE FROM figure WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM figures_of WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM condition WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM facts WHERE person=?",
                                          "DELETE FROM seen WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM model WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM decision WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM track WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM quality WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM unfinished WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM letter WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM agreement WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM agreement WHERE person=?",
                                          "DELETE FROM sent WHERE person=?",
                                          "DELETE FROM height WHERE person=?",
                                          "DELETE FROM clip WHERE person=?",
                                          "DELETE FROM person WHERE id=?"};
    for (const char* sql : all) {
        sqlite3_stmt* s = nullptr;
        if (sqlite3_prepare_v2(db, sql, -1, &s, nullptr) != SQLITE_OK) continue; // no such table
        sqlite3_bind_int64(s, 1, person);
        const int rc = sqlite3_step(s);
        sqlite3_finalize(s);
        if (rc != SQLITE_DONE) return false;
    }
    return true;
}

Result<bool> add_file(archive* a, const fs::path& file, const std::string& name, const std::stop_token& stop,
                      const std::function<void(std::uintmax_t)>& wrote) {
    std::error_code ec;
    const auto size = fs::file_size(file, ec);
    const int fd = ec ? -1 : ::open(file.c_str(), O_RDONLY | O_CLOEXEC);
    if (fd < 0) return fail(Code::cannot_open, file.string());
    const Entry e(archive_entry_new());
    archive_entry_set_pathname(e.get(), name.c_str());
    archive_entry_set_size(e.get(), static_cast<la_int64_t>(size));
    archive_entry_set_filetype(e.get(), AE_IFREG);
    archive_entry_set_perm(e.get(), 0600);
    Result<bool> ok = true;
    if (archive_write_header(a, e.get()) != ARCHIVE_OK) ok = fail(Code::write_failed, archive_error_string(a));
    std::vector<char> piece(1U << 20U);
    for (ssize_t n = 0; ok && (n = ::read(fd, piece.data(), piece.size())) > 0;) {
        if (stop.stop_requested())
            ok = fail(Code::cancelled, "");
        else if (archive_write_data(a, piece.data(), static_cast<std::size_t>(n)) != n)
            ok = fail(Code::write_failed, archive_error_string(a));
        else
            wrote(static_cast<std::uintmax_t>(n));
    }
    ::close(fd);
    return ok;
}

/// What a file held is written over before it is removed (where the file system writes in place).
bool overwrite(const fs::path& file) {
    std::error_code ec;
    auto left = fs::file_size(file, ec);
    if (ec) return true; // lost already
    const int fd = ::open(file.c_str(), O_WRONLY | O_CLOEXEC);
    if (fd < 0) return false;
    const std::vector<char> zeros(1U << 20U, 0);
    bool ok = true;
    while (ok && left > 0) {
        const ssize_t n = ::write(fd, zeros.data(), std::min<std::uintmax_t>(left, zeros.size()));
        ok = n > 0;
        left -= ok ? static_cast<std::uintmax_t>(n) : 0;
    }
    ok = ::fsync(fd) == 0 && ok;
    ::close(fd);
    return ok;
}

/// Names that a backup may hold: the library itself and files right in clips/.
bool is_ours(const std::string& name) {
    if (name == "library.sqlite") return true;
    const fs::path p(name);
    return name.starts_with("clips/") && p.parent_path() == "clips" && !p.filename().empty() && p.filename() != ".." && p.filename() != ".";
}

} // namespace

void Library::clean_up() {
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(folder_ / "clips", ec))
        if (e.path().string().ends_with(bevel::unfinished)) fs::remove(e.path(), ec);
    fs::remove(folder_ / "library.sqlite.part", ec);
    std::vector<std::string> files;
    {
        Query q(db_, "SELECT file FROM leftover WHERE file NOT IN (SELECT file FROM clip)");
        while (q.row()) files.push_back(q.text(0));
    }
    for (const auto& f : files) {
        Clip c;
        c.file = f;
        fs::remove(path_of(c), ec);
    }
    sqlite3_exec(db_, "DELETE FROM leftover", nullptr, nullptr, nullptr);
}

Result<bool> Library::remove_files(const std::vector<std::string>& files) {
    std::error_code ec;
    for (const auto& f : files) {
        if (is_used(f)) continue; // another part of the same file
        Clip c;
        c.file = f;
        fs::remove(path_of(c), ec);
        if (ec) return fail(Code::write_failed, path_of(c).string());
    }
    return write([&] {
        Query q(db_, "DELETE FROM leftover");
        return q.run();
    });
}

bool Library::is_used(const std::string& file) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT 1 FROM clip WHERE file=?");
    q.bind(file);
    return q.row();
}

Result<bool> Library::drop_film(std::int64_t id) {
    const auto c = clip(id);
    if (!c) return tl::unexpected(c.error());
    if (!overwrite(path_of(*c))) return fail(Code::write_failed, path_of(*c).string());
    std::error_code ec;
    fs::remove(path_of(*c), ec);
    if (ec) return fail(Code::write_failed, path_of(*c).string());
    return write([&] { // parts of one file lose it together
        Query q(db_, "UPDATE clip SET film_dropped=1 WHERE file=?");
        return q.bind(c->file).run();
    });
}

Result<bool> Library::set_keep_until(std::int64_t person, const std::string& day) {
    return write([&] {
        Query q(db_, "UPDATE person SET keep_until=? WHERE id=?");
        return q.bind(day).bind(person).run();
    });
}

std::uintmax_t Library::room_of(const std::vector<Clip>& of) const {
    std::error_code ec;
    std::uintmax_t all = 0;
    std::vector<std::string> seen;
    for (const auto& c : of) {
        if (std::find(seen.begin(), seen.end(), c.file) != seen.end()) continue; // parts of one file
        seen.push_back(c.file);
        const auto size = fs::file_size(path_of(c), ec);
        if (!ec) all += size;
    }
    return all;
}

Result<bool> Library::delete_clip(std::int64_t id) {
    const auto c = clip(id);
    if (!c) return tl::unexpected(c.error());
    auto ok = together([&]() -> Result<bool> {
        for (const char* sql :
             {"DELETE FROM figure WHERE clip=?", "DELETE FROM figures_of WHERE clip=?", "DELETE FROM condition WHERE clip=?",
              "DELETE FROM seen WHERE clip=?", "DELETE FROM model WHERE clip=?", "DELETE FROM decision WHERE clip=?",
              "DELETE FROM track WHERE clip=?", "DELETE FROM quality WHERE clip=?", "DELETE FROM unfinished WHERE clip=?",
              "DELETE FROM letter WHERE clip=?", "DELETE FROM agreement WHERE clip=?", "UPDATE sent SET clip=NULL WHERE clip=?",
              "UPDATE clip SET pair=0 WHERE pair=?", "DELETE FROM clip WHERE id=?"}) {
            Query q(db_, sql);
            if (auto done = q.bind(id).run(); !done) return done;
        }
        Query q(db_, "INSERT OR REPLACE INTO leftover(file) VALUES(?)");
        return q.bind(c->file).run();
    });
    if (!ok) return ok;
    return remove_files({c->file});
}

Result<Erased> Library::erase_person(std::int64_t id) {
    Erased out;
    std::vector<std::string> files;
    {
        const std::lock_guard lock(*mutex_);
        Query q(db_, "SELECT file FROM clip WHERE person=?");
        q.bind(id);
        while (q.row()) files.push_back(q.text(0));
        // A file of which somebody else is a part stays, and it is said.
        Query shared(db_, "SELECT DISTINCT p.name FROM clip c JOIN person p ON p.id=c.person WHERE c.person<>?1 AND c.file IN (SELECT file "
                          "FROM clip WHERE person=?1)");
        shared.bind(id);
        while (shared.row()) out.shared_with.push_back(shared.text(0));
        Query letters(db_, "SELECT count(*) FROM sent WHERE person=?");
        letters.bind(id);
        out.letters = letters.row() ? static_cast<int>(letters.integer(0)) : 0;
        Query copies(db_, "SELECT file FROM backup");
        std::error_code ec;
        while (copies.row())
            if (fs::exists(copies.text(0), ec)) out.backups.push_back(copies.text(0));
    }
    out.clips = static_cast<int>(files.size());
    auto ok = together([&]() -> Result<bool> {
        for (const auto& f : files) {
            Query q(db_, "INSERT OR REPLACE INTO leftover(file) VALUES(?)");
            if (auto done = q.bind(f).run(); !done) return done;
        }
        if (!erase_rows(db_, id)) return fail(Code::write_failed, sqlite3_errmsg(db_));
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    for (const auto& f : files) {
        if (is_used(f)) continue;
        Clip c;
        c.file = f;
        if (!overwrite(path_of(c))) return fail(Code::write_failed, path_of(c).string());
    }
    if (auto gone = remove_files(files); !gone) return tl::unexpected(gone.error());
    // Nothing stays in free pages or in the journal.
    for (const char* sql : {"PRAGMA wal_checkpoint(TRUNCATE)", "VACUUM", "PRAGMA wal_checkpoint(TRUNCATE)"}) {
        const std::lock_guard lock(*mutex_);
        Query q(db_, sql);
        q.row();
        if (auto done = q.end(); !done) return tl::unexpected(done.error());
    }
    // Copies that were made before an upgrade lie beside it.
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(folder_, ec)) {
        if (!e.path().filename().string().starts_with("library-version-")) continue;
        sqlite3* db = nullptr;
        const bool done = sqlite3_open(e.path().string().c_str(), &db) == SQLITE_OK &&
                          sqlite3_exec(db, "PRAGMA secure_delete=ON; BEGIN", nullptr, nullptr, nullptr) == SQLITE_OK &&
                          erase_rows(db, id) && sqlite3_exec(db, "COMMIT; VACUUM", nullptr, nullptr, nullptr) == SQLITE_OK;
        sqlite3_close(db);
        if (!done) out.backups.push_back(e.path().string());
    }
    return out;
}

Result<bool> Library::back_up_to(const fs::path& file, const std::string& day, const std::stop_token& stop,
                                 const std::function<void(double)>& progress) {
    // The database first, as one whole; clips that come in meanwhile are not in it and are not copied.
    const fs::path copy = folder_ / "library.sqlite.part";
    std::error_code ec;
    fs::remove(copy, ec);
    {
        const std::lock_guard lock(*mutex_);
        Query q(db_, "VACUUM INTO ?");
        if (auto ok = q.bind(copy.string()).run(); !ok) return fail(Code::write_failed, copy.string());
    }
    const auto list = clips();
    if (!list) return tl::unexpected(list.error());
    std::uintmax_t all = fs::file_size(copy, ec), done = 0;
    for (const auto& c : *list)
        if (has_file(c)) all += fs::file_size(path_of(c), ec);
    PendingFile target(file);
    const Writer a(archive_write_new());
    archive_write_set_format_pax_restricted(a.get());
    auto wrote = [&](std::uintmax_t n) {
        done += n;
        if (progress) progress(static_cast<double>(done) / static_cast<double>(std::max<std::uintmax_t>(1, all)));
    };
    Result<bool> ok = true;
    if (archive_write_open_filename(a.get(), target.path().c_str()) != ARCHIVE_OK)
        ok = fail(Code::write_failed, file.string());
    else
        ok = add_file(a.get(), copy, "library.sqlite", stop, wrote);
    for (const auto& c : *list)
        if (ok && has_file(c)) ok = add_file(a.get(), path_of(c), "clips/" + path_of(c).filename().string(), stop, wrote);
    if (ok && archive_write_close(a.get()) != ARCHIVE_OK) ok = fail(Code::write_failed, file.string());
    fs::remove(copy, ec);
    if (ok) ok = target.commit();
    if (!ok) return ok;
    return write([&] {
        Query q(db_, "INSERT OR REPLACE INTO backup(file, made_on) VALUES(?,?)");
        return q.bind(fs::absolute(file, ec).string()).bind(day).run();
    });
}

Result<bool> Library::restore(const fs::path& file, const fs::path& folder, const std::stop_token& stop) {
    std::error_code ec;
    if (fs::exists(folder, ec) && !fs::is_empty(folder, ec)) return fail(Code::bad_value, "folder_not_empty");
    const Reader a(archive_read_new());
    archive_read_support_format_tar(a.get());
    if (archive_read_open_filename(a.get(), file.c_str(), 1U << 16U) != ARCHIVE_OK) return fail(Code::unreadable, file.string());
    const fs::path part = folder.string() + std::string(bevel::unfinished);
    fs::remove_all(part, ec);
    fs::create_directories(part / "clips", ec);
    if (ec) return fail(Code::write_failed, part.string());
    auto extract = [&]() -> Result<bool> {
        archive_entry* e = nullptr;
        int rc = ARCHIVE_OK;
        bool library = false;
        while ((rc = archive_read_next_header(a.get(), &e)) == ARCHIVE_OK) {
            const char* name = archive_entry_pathname(e);
            if (!name || !is_ours(name) || archive_entry_filetype(e) != AE_IFREG) return fail(Code::unreadable, file.string());
            library = library || std::string_view(name) == "library.sqlite";
            const int fd = ::open((part / name).c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0600);
            if (fd < 0) return fail(Code::write_failed, (part / name).string());
            const bool ok = archive_read_data_into_fd(a.get(), fd) == ARCHIVE_OK && ::fsync(fd) == 0;
            ::close(fd);
            if (!ok) return fail(Code::unreadable, file.string());
            if (stop.stop_requested()) return fail(Code::cancelled, "");
        }
        if (rc != ARCHIVE_EOF || !library) return fail(Code::unreadable, file.string());
        return true;
    };
    auto ok = extract();
    if (ok) {
        // It must be one before it takes its place.
        auto made = Library::open(part);
        if (!made) ok = tl::unexpected(made.error());
    }
    if (ok) {
        fs::remove(folder, ec);
        fs::rename(part, folder, ec);
        if (ec) ok = fail(Code::write_failed, folder.string());
    }
    if (!ok) fs::remove_all(part, ec);
    return ok;
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
