// Files are written whole or not at all: beside the target, synced, then put in its place; what was there before stays until then.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <functional>
#include <stop_token>
#include <string_view>

namespace bevel {

/// What a disk does, one call each, with the results and errno of POSIX. The real one is behind `real`; tests stand in for it.
struct Disk {
    virtual ~Disk() = default;
    virtual int open(const char* path, int flags, unsigned mode);
    virtual long write(int fd, const void* bytes, std::size_t n);
    virtual int sync(int fd);
    virtual int close(int fd);
    virtual int rename(const char* from, const char* to);
    static Disk& real();
};

/// Writes a whole file in place of `file`. What is not a regular file (a device, a pipe) is written directly. write_failed with the path
/// and the system's reason as context; the old file is then as it was.
Result<bool> write_whole(const std::filesystem::path& file, std::string_view bytes, Disk& disk = Disk::real());

/// Copies a file so, in pieces; cancelled between two of them. `progress` gets the share that is done.
Result<bool> copy_whole(const std::filesystem::path& from, const std::filesystem::path& to, const std::stop_token& stop = {},
                        const std::function<void(double)>& progress = {}, Disk& disk = Disk::real());

/// For what is written by a library that wants a path: write to `path()`, then `commit`. Without it nothing is left behind.
class PendingFile {
public:
    explicit PendingFile(std::filesystem::path target);
    PendingFile(const PendingFile&) = delete;
    PendingFile& operator=(const PendingFile&) = delete;
    ~PendingFile();
    const std::filesystem::path& path() const { return path_; }
    Result<bool> commit(Disk& disk = Disk::real());

private:
    std::filesystem::path target_, path_; // the same where the target is no regular file
    bool done_ = false;
};

/// A file that somebody else wrote: synced, then put in the place of `to`, and the folder synced.
Result<bool> put_whole_in_place(const std::filesystem::path& part, const std::filesystem::path& to, Disk& disk = Disk::real());

/// Ending of files that are not finished; one that is left over may be removed.
inline constexpr std::string_view unfinished = ".part";

} // namespace bevel
