#include "store/library.h"
#include "store/connection.h"
#include "store/query.h"
#include "store/schema.h"
#include <unistd.h>

namespace bevel {
namespace fs = std::filesystem;

std::string_view state_name(ClipState s) {
    constexpr std::array<std::string_view, 5> n{"waiting", "tracked", "reviewed", "failed", "asked"};
    return n[static_cast<std::size_t>(s)];
}

Library::Library(std::unique_ptr<Connection> connection) : connection_(std::move(connection)) {}
Library::Library(Library&&) noexcept = default;
Library& Library::operator=(Library&&) noexcept = default;
Library::~Library() = default;

int Library::schema_version() {
    return newest_schema;
}
Result<Library> Library::open(const fs::path& folder, bool reading) {
    auto connection = std::make_unique<Connection>(folder);
    if (auto ok = connection->open(reading); !ok) return tl::unexpected(ok.error());
    return Library(std::move(connection));
}
const fs::path& Library::folder() const {
    return connection_->folder;
}
bool Library::read_only() const {
    return connection_->read_only;
}
int Library::dangling() const {
    return connection_->dangling;
}
Result<bool> Library::together(const std::function<Result<bool>()>& work) {
    return connection_->together(work);
}
fs::path Library::mail_folder() const {
    return mail_folder_of(folder());
}
fs::path mail_folder_of(const fs::path& library_folder) {
    return library_folder / "bevel-mail";
}

Connection::~Connection() {
    sqlite3_close(db);
    if (lock_ >= 0) ::close(lock_);
}

Result<bool> Connection::together(const std::function<Result<bool>()>& work) {
    const std::lock_guard lock(mutex);
    if (depth_ > 0) return work(); // part of a larger whole
    if (read_only) return fail(Code::write_failed, "read_only");
    auto run = [&](const char* sql) { return sqlite3_exec(db, sql, nullptr, nullptr, nullptr) == SQLITE_OK; };
    if (!run("BEGIN IMMEDIATE")) return fail(Code::write_failed, sqlite3_errmsg(db));
    ++depth_;
    auto ok = work();
    --depth_;
    if (ok && run("COMMIT")) return true;
    if (ok) ok = fail(Code::write_failed, sqlite3_errmsg(db));
    run("ROLLBACK");
    return ok;
}

Result<bool> Connection::write(const std::function<Result<bool>()>& work) {
    const std::lock_guard lock(mutex);
    if (read_only) return fail(Code::write_failed, "read_only");
    return work();
}

Store::Store(Connection& c) : connection_(c), db_(c.db), mutex_(&c.mutex), folder_(c.folder), read_only_(c.read_only) {}
Result<bool> Store::together(const std::function<Result<bool>()>& work) const {
    return connection_.together(work);
}
Result<bool> Store::write(const std::function<Result<bool>()>& work) const {
    return connection_.write(work);
}
PeopleStore Store::people() const {
    return PeopleStore(connection_);
}
RecordStore Store::records() const {
    return RecordStore(connection_);
}
ClipStore Store::clips() const {
    return ClipStore(connection_);
}
TrackStore Store::tracks() const {
    return TrackStore(connection_);
}
PlaceStore Store::places() const {
    return PlaceStore(connection_);
}
DecisionStore Store::decisions() const {
    return DecisionStore(connection_);
}
LetterStore Store::letters() const {
    return LetterStore(connection_);
}
PracticeStore Store::practice() const {
    return PracticeStore(connection_);
}
ClassStore Store::classes() const {
    return ClassStore(connection_);
}
CourseStore Store::courses() const {
    return CourseStore(connection_);
}
QuietTestStore Store::quiet_tests() const {
    return QuietTestStore(connection_);
}
SeeingStore Store::seeing() const {
    return SeeingStore(connection_);
}
FormStore Store::forms() const {
    return FormStore(connection_);
}
BackupStore Store::backups() const {
    return BackupStore(connection_);
}
SettingStore Store::settings() const {
    return SettingStore(connection_);
}

std::string SettingStore::get(const std::string& key) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT value FROM setting WHERE key=?");
    q.bind(key);
    return q.row() ? q.text(0) : std::string();
}

Result<bool> SettingStore::set(const std::string& key, const std::string& value) {
    return write([&] {
        Query q(db_, "INSERT INTO setting(key, value) VALUES(?,?) ON CONFLICT(key) DO UPDATE SET value=excluded.value");
        return q.bind(key).bind(value).run();
    });
}

} // namespace bevel
