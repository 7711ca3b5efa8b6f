// Deleting and erasing: films, rows, copies, mentions.
#include "core/files.h"
#include "store/connection.h"
#include "store/query.h"
#include "store/stores.h"
#include <algorithm>
#include <fcntl.h>
#include <unistd.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;

/// All rows of a person, in the order of their references. What an older library does not have is passed over.
bool erase_rows(sqlite3* db, std::int64_t person) {
    const std::array<const char*, 24> all{"DELETE FROM quiet_test WHERE person=?",
                                          "DELETE FROM course WHERE person=?",
                                          "UPDATE seen_round SET clip=NULL WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                          "DELETE FROM at_once WHERE EXISTS (SELECT 1 FROM clip WHERE id IN (first, second) AND person=?)",
                                          "DELETE FROM class_member WHERE person=?",
                                          "DELETE FROM lesson_person WHERE person=?",
                                          "DELETE FROM practice WHERE person=?",
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

Result<bool> ClipStore::remove_files(const std::vector<std::string>& files) {
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

bool ClipStore::is_used(const std::string& file) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT 1 FROM clip WHERE file=?");
    q.bind(file);
    return q.row();
}

Result<bool> ClipStore::drop_film(std::int64_t id) {
    const auto c = get(id);
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

std::uintmax_t ClipStore::room_of(const std::vector<Clip>& of) const {
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

Result<bool> ClipStore::remove(std::int64_t id) {
    const auto c = get(id);
    if (!c) return tl::unexpected(c.error());
    auto ok = together([&]() -> Result<bool> {
        for (const char* sql :
             {"DELETE FROM figure WHERE clip=?", "DELETE FROM figures_of WHERE clip=?", "DELETE FROM condition WHERE clip=?",
              "DELETE FROM seen WHERE clip=?", "DELETE FROM model WHERE clip=?", "DELETE FROM decision WHERE clip=?",
              "DELETE FROM track WHERE clip=?", "DELETE FROM quality WHERE clip=?", "DELETE FROM unfinished WHERE clip=?",
              "DELETE FROM letter WHERE clip=?", "DELETE FROM agreement WHERE clip=?", "UPDATE sent SET clip=NULL WHERE clip=?",
              "UPDATE quiet_test SET clip=NULL WHERE clip=?", "UPDATE seen_round SET clip=NULL WHERE clip=?",
              "DELETE FROM at_once WHERE ? IN (first, second)", "UPDATE clip SET pair=0 WHERE pair=?", "DELETE FROM clip WHERE id=?"}) {
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

Result<Erased> PeopleStore::erase(std::int64_t id) {
    Erased out;
    ClipStore films(connection_);
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
        if (films.is_used(f) || !films.has_file(c)) continue;
        if (!overwrite(films.path_of(c))) return fail(Code::write_failed, films.path_of(c).string());
    }
    if (auto gone = films.remove_files(files); !gone) return tl::unexpected(gone.error());
    std::error_code ec;
    for (auto it = fs::recursive_directory_iterator(mail_folder_of(folder_), ec); !ec && it != fs::recursive_directory_iterator();
         it.increment(ec))
        if (it->is_regular_file(ec)) (void)overwrite(it->path());
    fs::remove_all(mail_folder_of(folder_), ec);
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
std::vector<std::string> PeopleStore::mentions_of(const std::string& words) const {
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

} // namespace bevel
