// The library's one connection to its database, shared by all its subjects. Inside the store only.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <functional>
#include <mutex>
#include <sqlite3.h>

namespace bevel {

class Connection {
public:
    explicit Connection(std::filesystem::path of) : folder(std::move(of)) {}
    Connection(const Connection&) = delete;
    Connection& operator=(const Connection&) = delete;
    ~Connection();
    /// All writes of `work` or none; inside another a part of that. One thread at a time.
    Result<bool> together(const std::function<Result<bool>()>& work);
    /// One write; inside `together` a part of that.
    Result<bool> write(const std::function<Result<bool>()>& work);

    /// See Library::open.
    Result<bool> open(bool reading);

    sqlite3* db = nullptr;
    const std::filesystem::path folder;
    std::recursive_mutex mutex;
    bool read_only = false;
    int dangling = 0; // rows that point to something that is not there

private:
    Result<bool> open_for_reading(bool in_spite_of_damage);
    Result<bool> migrate();
    Result<bool> back_up(int version);
    Result<bool> bring_up_in_memory(sqlite3* from);
    bool renew_tracks();
    void clean_up();
    int lock_ = -1; // goes with the process, however it ends
    bool in_memory_ = false;
    int depth_ = 0;
};

/// Where copies for other programs lie while they are needed; emptied at the start and when somebody is erased.
std::filesystem::path mail_folder_of(const std::filesystem::path& library_folder);

} // namespace bevel
