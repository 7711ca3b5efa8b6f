#include "core/files.h"
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>
#include <vector>

namespace bevel {
namespace {

namespace fs = std::filesystem;

tl::unexpected<Error> failed(const fs::path& file, int why) {
    return fail(Code::write_failed, file.string() + ": " + std::strerror(why));
}

/// Something that is there and is no regular file: a device, a pipe, a folder.
bool is_special(const fs::path& file) {
    struct stat s {};
    return ::stat(file.c_str(), &s) == 0 && !S_ISREG(s.st_mode);
}

/// An open file that is closed on every way out.
class Open {
public:
    Open(Disk& disk, const fs::path& file, int flags) : disk_(disk), fd_(disk.open(file.c_str(), flags, 0600)) {}
    Open(const Open&) = delete;
    Open& operator=(const Open&) = delete;
    ~Open() {
        if (fd_ >= 0) disk_.close(fd_);
    }
    explicit operator bool() const { return fd_ >= 0; }
    bool write(std::string_view bytes) {
        while (!bytes.empty()) {
            const long n = disk_.write(fd_, bytes.data(), bytes.size());
            if (n < 0 && errno == EINTR) continue;
            if (n <= 0) return false;
            bytes.remove_prefix(static_cast<std::size_t>(n));
        }
        return true;
    }
    bool sync() { return disk_.sync(fd_) == 0; }
    bool close() { return disk_.close(std::exchange(fd_, -1)) == 0; }

private:
    Disk& disk_;
    int fd_;
};

fs::path beside(const fs::path& file) {
    auto part = file;
    part += unfinished;
    return part;
}

/// The folder's own entry is on the disk.
bool sync_folder(Disk& disk, const fs::path& file) {
    const fs::path folder = file.has_parent_path() ? file.parent_path() : fs::path(".");
    Open f(disk, folder, O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    return f && (f.sync() || errno == EINVAL); // some file systems have nothing to sync there
}

Result<bool> put_in_place(Disk& disk, const fs::path& part, const fs::path& file) {
    if (disk.rename(part.c_str(), file.c_str()) != 0) return failed(file, errno);
    if (!sync_folder(disk, file)) return failed(file, errno);
    return true;
}

/// Writes what `next` gives until it gives nothing, through a file beside the target.
Result<bool> write_pieces(const fs::path& file, Disk& disk, const std::function<Result<std::string_view>()>& next) {
    const bool special = is_special(file);
    const fs::path part = special ? file : beside(file);
    auto undo = [&](tl::unexpected<Error> e) {
        std::error_code ec;
        if (!special) fs::remove(part, ec);
        return e;
    };
    Open out(disk, part, O_WRONLY | O_CLOEXEC | (special ? 0 : O_CREAT | O_TRUNC));
    if (!out) return failed(file, errno);
    while (true) {
        auto piece = next();
        if (!piece) return undo(tl::unexpected(piece.error()));
        if (piece->empty()) break;
        if (!out.write(*piece)) return undo(failed(file, errno));
    }
    // A pipe cannot be synced.
    if (!out.sync() && !(special && (errno == EINVAL || errno == EROFS))) return undo(failed(file, errno));
    if (!out.close()) return undo(failed(file, errno));
    if (special) return true;
    if (auto ok = put_in_place(disk, part, file); !ok) return undo(tl::unexpected(ok.error()));
    return true;
}

} // namespace

int Disk::open(const char* path, int flags, unsigned mode) {
    return ::open(path, flags, mode);
}
long Disk::write(int fd, const void* bytes, std::size_t n) {
    return ::write(fd, bytes, n);
}
int Disk::sync(int fd) {
    return ::fsync(fd);
}
int Disk::close(int fd) {
    return ::close(fd);
}
int Disk::rename(const char* from, const char* to) {
    return ::rename(from, to);
}
Disk& Disk::real() {
    static Disk disk;
    return disk;
}

Result<bool> write_whole(const fs::path& file, std::string_view bytes, Disk& disk) {
    bool given = false;
    return write_pieces(file, disk, [&]() -> Result<std::string_view> { return std::exchange(given, true) ? std::string_view() : bytes; });
}

Result<bool> copy_whole(const fs::path& from, const fs::path& to, const std::stop_token& stop, const std::function<void(double)>& progress,
                        Disk& disk) {
    std::error_code ec;
    const double size = static_cast<double>(std::max<std::uintmax_t>(1, fs::file_size(from, ec)));
    if (ec) return fail(Code::cannot_open, from.string());
    const int fd = ::open(from.c_str(), O_RDONLY | O_CLOEXEC);
    if (fd < 0) return fail(Code::cannot_open, from.string());
    std::vector<char> piece(1U << 20U);
    double done = 0;
    auto ok = write_pieces(to, disk, [&]() -> Result<std::string_view> {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        ssize_t n = -1;
        do n = ::read(fd, piece.data(), piece.size());
        while (n < 0 && errno == EINTR);
        if (n < 0) return fail(Code::cannot_open, from.string());
        done += static_cast<double>(n);
        if (progress) progress(std::min(1.0, done / size));
        return std::string_view(piece.data(), static_cast<std::size_t>(n));
    });
    ::close(fd);
    return ok;
}

PendingFile::PendingFile(fs::path target) : target_(std::move(target)), path_(target_) {
    // The ending stays, since it tells the format.
    if (!is_special(target_))
        path_ = target_.parent_path() / (target_.stem().string() + std::string(unfinished) + target_.extension().string());
}

PendingFile::~PendingFile() {
    std::error_code ec;
    if (!done_ && path_ != target_) fs::remove(path_, ec);
}

Result<bool> put_whole_in_place(const fs::path& part, const fs::path& to, Disk& disk) {
    {
        Open f(disk, part, O_RDONLY | O_CLOEXEC);
        if (!f) return failed(to, errno);
        if (!f.sync()) return failed(to, errno);
    }
    return put_in_place(disk, part, to);
}

Result<bool> PendingFile::commit(Disk& disk) {
    if (path_ == target_) {
        done_ = true;
        return true;
    }
    if (auto ok = put_whole_in_place(path_, target_, disk); !ok) return ok;
    done_ = true;
    return true;
}

} // namespace bevel
