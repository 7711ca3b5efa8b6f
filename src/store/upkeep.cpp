// What keeps the library in order: leftovers, deleting and erasing, one file for all of it.
#include "core/files.h"
#include "store/library.h"
#include "store/query.h"
#include "store/sum.h"
#include <algorithm>
#include <archive.h>
#include <archive_entry.h>
#include <cerrno>
#include <fcntl.h>
#include <map>
#include <set>
#include <sys/stat.h>
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

/// One file of the archive, held against its sum where one is known: the whole of it or an error. `spoilt`: it differs, or reading fails;
/// the archive is then not to be used.
Result<bool> add_file(archive* a, const fs::path& file, const std::string& name, const std::string& sum, bool& spoilt,
                      const std::stop_token& stop, const std::function<void(std::uintmax_t)>& wrote) {
    const int fd = ::open(file.c_str(), O_RDONLY | O_CLOEXEC);
    struct stat st {};
    if (fd < 0 || ::fstat(fd, &st) != 0 || !S_ISREG(st.st_mode)) {
        if (fd >= 0) ::close(fd);
        spoilt = true;
        return fail(Code::cannot_open, file.string());
    }
    const Entry e(archive_entry_new());
    archive_entry_set_pathname(e.get(), name.c_str());
    archive_entry_set_size(e.get(), static_cast<la_int64_t>(st.st_size));
    archive_entry_set_filetype(e.get(), AE_IFREG);
    archive_entry_set_perm(e.get(), 0600);
    Result<bool> ok = true;
    if (archive_write_header(a, e.get()) != ARCHIVE_OK) ok = fail(Code::write_failed, archive_error_string(a));
    std::vector<char> piece(1U << 20U);
    Sum of;
    auto left = static_cast<std::uintmax_t>(st.st_size);
    while (ok && left > 0) {
        const ssize_t n = ::read(fd, piece.data(), std::min<std::uintmax_t>(piece.size(), left));
        if (n < 0 && errno == EINTR) continue;
        if (n <= 0) { // an error, or shorter than it was said to be
            spoilt = true;
            ok = fail(Code::cannot_open, file.string());
        } else if (stop.stop_requested()) {
            ok = fail(Code::cancelled, "");
        } else if (archive_write_data(a, piece.data(), static_cast<std::size_t>(n)) != n) {
            ok = fail(Code::write_failed, archive_error_string(a));
        } else {
            of.add(piece.data(), static_cast<std::size_t>(n));
            left -= static_cast<std::uintmax_t>(n);
            wrote(static_cast<std::uintmax_t>(n));
        }
    }
    ::close(fd);
    if (ok && !sum.empty() && of.hex() != sum) spoilt = true;
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

/// Names that a backup may hold: the library itself, files right in clips/, own recordings some folders deep.
bool is_ours(const std::string& name) {
    if (name == "library.sqlite") return true;
    const fs::path p(name);
    const auto depth = std::distance(p.begin(), p.end());
    const bool plain =
        p.is_relative() && std::none_of(p.begin(), p.end(), [](const fs::path& x) { return x.empty() || x == ".." || x == "."; });
    return plain && ((name.starts_with("clips/") && depth == 2) || (name.starts_with("spoken/") && depth >= 2 && depth <= 4));
}

/// Own recordings, by their names below the library's folder.
std::vector<std::string> recordings(const fs::path& folder) {
    std::vector<std::string> out;
    std::error_code ec;
    for (auto it = fs::recursive_directory_iterator(folder / "spoken", ec); !ec && it != fs::recursive_directory_iterator();
         it.increment(ec))
        if (it->is_regular_file(ec)) {
            const auto name = fs::relative(it->path(), folder, ec).generic_string();
            if (is_ours(name)) out.push_back(name);
        }
    std::sort(out.begin(), out.end());
    return out;
}

std::string joined(const std::vector<std::string>& names) {
    std::string out;
    for (const auto& n : names) out += (out.empty() ? "" : ", ") + n;
    return out;
}

/// Films by their names, with their sums, each once.
std::map<std::string, std::string> films_of(const std::vector<Clip>& clips) {
    std::map<std::string, std::string> out;
    for (const auto& c : clips)
        if (!c.file.empty()) {
            auto& sum = out[c.file];
            if (sum.empty()) sum = c.hash;
        }
    return out;
}

/// "bundle-7.mp4", and nothing that somebody else may have put there.
bool is_old_bundle_film(const fs::path& file) {
    const std::string stem = file.stem().string();
    static const std::set<std::string> endings{".mp4", ".mov", ".webm", ".mkv", ".avi", ".m4v"};
    return stem.starts_with("bundle-") && stem.size() > 7 &&
           std::all_of(stem.begin() + 7, stem.end(), [](char c) { return c >= '0' && c <= '9'; }) &&
           endings.contains(file.extension().string());
}

/// Whether a text names somebody: the word as it is written, not as a part of another; scripts without gaps anywhere.
bool names(const std::string& text, const std::string& word) {
    const auto is_letter = [](char c) {
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || static_cast<unsigned char>(c) >= 0x80;
    };
    const bool anywhere = static_cast<unsigned char>(word.front()) >= 0xE3; // Han, kana, Hangul
    for (auto at = text.find(word); at != std::string::npos; at = text.find(word, at + 1)) {
        const auto end = at + word.size();
        const bool alone = (at == 0 || !is_letter(text[at - 1])) && (end >= text.size() || !is_letter(text[end]) || text[end] == 's');
        if (anywhere || alone) return true;
    }
    return false;
}

/// Words of a name that are long enough to tell whose it is.
std::vector<std::string> words_of(const std::string& name) {
    std::vector<std::string> out{name};
    std::string word;
    for (const char c : name + " ") {
        if (c != ' ') {
            word += c;
            continue;
        }
        if (word.size() >= 3 && word != name) out.push_back(word);
        word.clear();
    }
    return out;
}

} // namespace

void Library::clean_up() {
    std::error_code ec;
    for (const auto& e : fs::directory_iterator(folder_ / "clips", ec))
        if (e.path().string().ends_with(bevel::unfinished)) fs::remove(e.path(), ec);
    fs::remove(folder_ / "library.sqlite.part", ec);
    fs::remove_all(mail_folder(), ec);
    for (const auto& e : fs::directory_iterator(folder_, ec)) // of a program before films were put right where they belong
        if (e.is_regular_file(ec) && is_old_bundle_film(e.path())) fs::remove(e.path(), ec);
    std::vector<std::string> files, outside;
    {
        Query q(db_, "SELECT file FROM leftover WHERE file NOT IN (SELECT file FROM clip)");
        while (q.row()) files.push_back(q.text(0));
        Query p(db_, "SELECT file FROM pending");
        while (p.row()) outside.push_back(p.text(0));
        if (!q.end() || !p.end()) return; // next time
    }
    for (const auto& f : files) {
        Clip c;
        c.file = f;
        if (has_file(c)) fs::remove(path_of(c), ec);
    }
    for (const auto& f : outside)
        if (f.find(bevel::unfinished) != std::string::npos) fs::remove(f, ec);
    sqlite3_exec(db_, "DELETE FROM leftover; DELETE FROM pending", nullptr, nullptr, nullptr);
}

Result<bool> Library::remove_files(const std::vector<std::string>& files) {
    std::error_code ec;
    for (const auto& f : files) {
        Clip c;
        c.file = f;
        if (!is_used(f) && has_file(c)) { // not another part of the same file, nor a clip without a film
            fs::remove(path_of(c), ec);
            if (ec) return fail(Code::write_failed, path_of(c).string());
        }
        if (auto ok = write([&] {
                Query q(db_, "DELETE FROM leftover WHERE file=?");
                return q.bind(f).run();
            });
            !ok)
            return ok;
    }
    return true;
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
    if (c->file.empty()) return true; // it never had one
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
        if (c->file.empty()) return true;
        Query q(db_, "INSERT OR REPLACE INTO leftover(file) VALUES(?)");
        return q.bind(c->file).run();
    });
    if (!ok || c->file.empty()) return ok;
    return remove_files({c->file});
}

Result<Erased> Library::erase_person(std::int64_t id) {
    Erased out;
    std::vector<std::string> files, called;
    std::vector<std::int64_t> phrases;
    {
        const std::lock_guard lock(*mutex_);
        Query who(db_, "SELECT name FROM person WHERE id=?");
        who.bind(id);
        if (who.row()) called = words_of(who.text(0));
        if (auto ok = who.end(); !ok) return tl::unexpected(ok.error());
        if (const auto known = facts(id); known && known->alias.size() >= 3)
            for (auto& w : words_of(known->alias)) called.push_back(std::move(w));
        Query q(db_, "SELECT file FROM clip WHERE person=? AND file<>''");
        q.bind(id);
        while (q.row()) files.push_back(q.text(0));
        // A file of which somebody else is a part stays, and it is said.
        Query shared(db_, "SELECT DISTINCT p.name FROM clip c JOIN person p ON p.id=c.person WHERE c.person<>?1 AND c.file IN (SELECT file "
                          "FROM clip WHERE person=?1 AND file<>'')");
        shared.bind(id);
        while (shared.row()) out.shared_with.push_back(shared.text(0));
        Query number(db_, "SELECT (SELECT count(*) FROM sent WHERE person=?1), (SELECT count(*) FROM clip WHERE person=?1)");
        number.bind(id);
        if (number.row()) out.letters = static_cast<int>(number.integer(0)), out.clips = static_cast<int>(number.integer(1));
        Query copies(db_, "SELECT file FROM backup");
        std::error_code ec;
        while (copies.row())
            if (fs::exists(copies.text(0), ec)) out.backups.push_back(copies.text(0));
        Query own(db_, "SELECT id, words FROM phrase");
        while (own.row())
            if (std::any_of(called.begin(), called.end(), [&](const std::string& n) { return names(own.text(1), n); }))
                phrases.push_back(own.integer(0));
        // What could not be read whole is not erased by half.
        for (const Query* read : {&q, &shared, &number, &copies, &own})
            if (auto ok = read->end(); !ok) return tl::unexpected(ok.error());
    }
    auto ok = together([&]() -> Result<bool> {
        for (const auto& f : files) {
            Query q(db_, "INSERT OR REPLACE INTO leftover(file) VALUES(?)");
            if (auto done = q.bind(f).run(); !done) return done;
        }
        for (const auto phrase : phrases) {
            Query q(db_, "DELETE FROM phrase WHERE id=?");
            if (auto done = q.bind(phrase).run(); !done) return done;
            ++out.phrases;
        }
        if (!erase_rows(db_, id)) return fail(Code::write_failed, sqlite3_errmsg(db_));
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    for (const auto& f : files) {
        Clip c;
        c.file = f;
        if (is_used(f) || !has_file(c)) continue;
        if (!overwrite(path_of(c))) return fail(Code::write_failed, path_of(c).string());
    }
    if (auto gone = remove_files(files); !gone) return tl::unexpected(gone.error());
    std::error_code ec;
    for (auto it = fs::recursive_directory_iterator(mail_folder(), ec); !ec && it != fs::recursive_directory_iterator(); it.increment(ec))
        if (it->is_regular_file(ec)) (void)overwrite(it->path());
    fs::remove_all(mail_folder(), ec);
    // Nothing stays in free pages or in the journal.
    for (const char* sql : {"PRAGMA wal_checkpoint(TRUNCATE)", "VACUUM", "PRAGMA wal_checkpoint(TRUNCATE)"}) {
        const std::lock_guard lock(*mutex_);
        Query q(db_, sql);
        q.row();
        if (auto done = q.end(); !done) return tl::unexpected(done.error());
    }
    if (!called.empty()) out.mentions = mentions_of(called.front());
    // Copies that were made before an upgrade lie beside it.
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

/// Tables in which these words still stand anywhere.
std::vector<std::string> Library::mentions_of(const std::string& words) const {
    const std::lock_guard lock(*mutex_);
    std::vector<std::string> tables, out;
    Query all(db_, "SELECT name FROM sqlite_master WHERE type='table' AND name NOT LIKE 'sqlite_%'");
    while (all.row()) tables.push_back(all.text(0));
    for (const auto& t : tables) {
        std::string any;
        Query columns(db_, ("SELECT name FROM pragma_table_info('" + t + "')").c_str());
        while (columns.row()) any += (any.empty() ? "" : " OR ") + ("instr(lower(\"" + columns.text(0) + "\"), lower(?1))>0");
        if (any.empty()) continue;
        Query q(db_, ("SELECT 1 FROM \"" + t + "\" WHERE " + any + " LIMIT 1").c_str());
        q.bind(words);
        if (q.row()) out.push_back(t);
    }
    return out;
}

Result<BackedUp> Library::check_films(const std::stop_token& stop) const {
    const auto list = clips();
    if (!list) return tl::unexpected(list.error());
    BackedUp out;
    for (const auto& [name, sum] : films_of(*list)) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        Clip c;
        c.file = name;
        const auto path = path_of(c);
        std::error_code ec;
        if (!fs::exists(path, ec)) {
            ++out.missing;
            continue;
        }
        const auto now = sum_of(path);
        if (now.empty() || (!sum.empty() && now != sum))
            out.damaged.push_back(path.filename().string());
        else
            ++out.films;
    }
    return out;
}

Result<BackedUp> Library::back_up_to(const fs::path& file, const std::string& day, bool without_damaged, const std::stop_token& stop,
                                     const std::function<void(double)>& progress) {
    BackedUp out;
    // The database first, as one whole; clips that come in meanwhile are not in it and are not copied.
    const fs::path copy = folder_ / "library.sqlite.part";
    std::error_code ec;
    fs::remove(copy, ec);
    const auto list = [&]() -> Result<std::vector<Clip>> {
        const std::lock_guard lock(*mutex_);
        auto now = clips();
        if (!now) return now;
        Query q(db_, "VACUUM INTO ?");
        if (auto ok = q.bind(copy.string()).run(); !ok) return fail(Code::write_failed, copy.string());
        return now;
    }();
    if (!list) {
        fs::remove(copy, ec);
        return tl::unexpected(list.error());
    }
    const auto films = films_of(*list);
    const auto spoken = recordings(folder_);
    std::uintmax_t all = fs::file_size(copy, ec), done = 0;
    auto place = [&](const std::string& name) {
        Clip c;
        c.file = name;
        return path_of(c);
    };
    for (const auto& [name, sum] : films)
        if (const auto size = fs::file_size(place(name), ec); !ec) all += size;
    PendingFile target(file);
    const auto note = [&](const char* sql) {
        return write([&] {
            Query q(db_, sql);
            return q.bind(fs::absolute(target.path(), ec).string()).run();
        });
    };
    if (auto ok = note("INSERT OR REPLACE INTO pending(file) VALUES(?)"); !ok && !read_only_) return tl::unexpected(ok.error());
    const Writer a(archive_write_new());
    archive_write_set_format_pax_restricted(a.get());
    auto wrote = [&](std::uintmax_t n) {
        done += n;
        if (progress) progress(std::min(1.0, static_cast<double>(done) / static_cast<double>(std::max<std::uintmax_t>(1, all))));
    };
    Result<bool> ok = true;
    bool spoilt = false;
    if (archive_write_open_filename(a.get(), target.path().c_str()) != ARCHIVE_OK)
        ok = fail(Code::write_failed, file.string());
    else
        ok = add_file(a.get(), copy, "library.sqlite", "", spoilt, stop, wrote);
    for (const auto& [name, sum] : films) {
        if (!ok) break;
        const auto path = place(name);
        const std::string in_archive = "clips/" + path.filename().string();
        if (!fs::exists(path, ec)) {
            ++out.missing;
            continue;
        }
        if (without_damaged) { // known before it is begun with
            const auto now = sum_of(path);
            if (now.empty() || (!sum.empty() && now != sum)) {
                out.damaged.push_back(path.filename().string());
                continue;
            }
        }
        bool this_one = false;
        ok = add_file(a.get(), path, in_archive, sum, this_one, stop, wrote);
        if (this_one) {
            out.damaged.push_back(path.filename().string());
            // The others are looked at too, so that all are said at once; this archive is not kept.
            if (!ok) break;
        }
        out.films += this_one ? 0 : 1;
    }
    for (const auto& name : spoken)
        if (ok) ok = add_file(a.get(), folder_ / name, name, "", spoilt, stop, wrote);
    if (ok && archive_write_close(a.get()) != ARCHIVE_OK) ok = fail(Code::write_failed, file.string());
    fs::remove(copy, ec);
    if (!without_damaged && !out.damaged.empty() && (ok || ok.error().code == Code::cannot_open))
        ok = fail(Code::unreadable, "damaged films: " + joined(out.damaged));
    if (ok) ok = target.commit();
    if (!ok) fs::remove(target.path(), ec);
    (void)note("DELETE FROM pending WHERE file=?");
    if (!ok) return tl::unexpected(ok.error());
    if (auto kept = write([&] {
            Query q(db_, "INSERT OR REPLACE INTO backup(file, made_on) VALUES(?,?)");
            return q.bind(fs::absolute(file, ec).string()).bind(day).run();
        });
        !kept && !read_only_)
        return tl::unexpected(kept.error());
    return out;
}

Result<BackedUp> Library::restore(const fs::path& file, const fs::path& folder, bool without_damaged, const std::stop_token& stop) {
    BackedUp out;
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
            fs::create_directories((part / name).parent_path(), ec);
            const int fd = ::open((part / name).c_str(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC | O_NOFOLLOW, 0600);
            if (fd < 0) return fail(errno == EEXIST ? Code::unreadable : Code::write_failed, (part / name).string());
            const bool ok = archive_read_data_into_fd(a.get(), fd) == ARCHIVE_OK;
            const bool written = ok && ::fsync(fd) == 0;
            struct stat st {};
            // All that was announced, not a shorter one.
            const bool whole = written && ::fstat(fd, &st) == 0 && st.st_size == archive_entry_size(e);
            const int why = errno;
            ::close(fd);
            if (!whole)
                return !written && why == ENOSPC ? fail(Code::write_failed, (part / name).string()) : fail(Code::unreadable, file.string());
            if (stop.stop_requested()) return fail(Code::cancelled, "");
        }
        if (rc != ARCHIVE_EOF || !library) return fail(Code::unreadable, file.string());
        return true;
    };
    auto ok = extract();
    if (ok) {
        // It must be one before it takes its place, with its films as they came.
        auto made = Library::open(part);
        if (!made) {
            ok = tl::unexpected(made.error());
        } else if (const auto list = made->clips(); !list) {
            ok = tl::unexpected(list.error());
        } else {
            for (const auto& [name, sum] : films_of(*list)) {
                Clip c;
                c.file = name;
                if (stop.stop_requested()) ok = fail(Code::cancelled, "");
                if (!made->has_file(c)) {
                    ++out.missing;
                } else if (!sum.empty() && sum_of(made->path_of(c)) != sum) {
                    out.damaged.push_back(made->path_of(c).filename().string());
                    if (without_damaged) fs::remove(made->path_of(c), ec);
                } else {
                    ++out.films;
                }
            }
            if (ok && !without_damaged && !out.damaged.empty()) ok = fail(Code::unreadable, "damaged films: " + joined(out.damaged));
        }
    }
    if (ok) {
        fs::remove(folder, ec);
        if (const auto placed = put_whole_in_place(part, folder); !placed) ok = placed;
    }
    if (!ok) {
        fs::remove_all(part, ec);
        return tl::unexpected(ok.error());
    }
    return out;
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
