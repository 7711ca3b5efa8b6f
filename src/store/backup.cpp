// The whole library as one file, and back.
#include "core/files.h"
#include "store/connection.h"
#include "store/library.h"
#include "store/query.h"
#include "store/sum.h"
#include <algorithm>
#include <archive.h>
#include <archive_entry.h>
#include <cerrno>
#include <fcntl.h>
#include <map>
#include <sys/stat.h>
#include <unistd.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;

using Writer = std::unique_ptr<archive, decltype([](archive* a) { archive_write_free(a); })>;
using Reader = std::unique_ptr<archive, decltype([](archive* a) { archive_read_free(a); })>;
using Entry = std::unique_ptr<archive_entry, decltype([](archive_entry* e) { archive_entry_free(e); })>;

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

} // namespace

Result<BackedUp> BackupStore::check_films(const std::stop_token& stop) const {
    const auto list = clips().all();
    if (!list) return tl::unexpected(list.error());
    BackedUp out;
    for (const auto& [name, sum] : films_of(*list)) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        Clip c;
        c.file = name;
        const auto path = clips().path_of(c);
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

Result<BackedUp> BackupStore::write(const fs::path& file, const std::string& day, bool without_damaged, const std::stop_token& stop,
                                    const std::function<void(double)>& progress) {
    BackedUp out;
    // The database first, as one whole; clips that come in meanwhile are not in it and are not copied.
    const fs::path copy = folder_ / "library.sqlite.part";
    std::error_code ec;
    fs::remove(copy, ec);
    const auto list = [&]() -> Result<std::vector<Clip>> {
        const std::lock_guard lock(*mutex_);
        auto now = clips().all();
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
        return clips().path_of(c);
    };
    for (const auto& [name, sum] : films)
        if (const auto size = fs::file_size(place(name), ec); !ec) all += size;
    PendingFile target(file);
    const auto note = [&](const char* sql) {
        return Store::write([&] {
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
    if (auto kept = Store::write([&] {
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
        } else if (const auto list = made->clips().all(); !list) {
            ok = tl::unexpected(list.error());
        } else {
            for (const auto& [name, sum] : films_of(*list)) {
                Clip c;
                c.file = name;
                if (stop.stop_requested()) ok = fail(Code::cancelled, "");
                if (!made->clips().has_file(c)) {
                    ++out.missing;
                } else if (!sum.empty() && sum_of(made->clips().path_of(c)) != sum) {
                    out.damaged.push_back(made->clips().path_of(c).filename().string());
                    if (without_damaged) fs::remove(made->clips().path_of(c), ec);
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

Result<bool> BackupStore::compact() {
    for (const char* sql : {"PRAGMA wal_checkpoint(TRUNCATE)", "VACUUM", "PRAGMA journal_mode=DELETE"}) {
        Query q(db_, sql);
        q.row();
        if (auto ok = q.end(); !ok) return ok;
    }
    return true;
}

} // namespace bevel
