// One statement of the library's database: bind, step, read. Inside the store only.
#pragma once
#include "core/result.h"
#include <cstdint>
#include <optional>
#include <sqlite3.h>
#include <string>

namespace bevel {

class Query {
public:
    Query(sqlite3* db, const char* sql) : db_(db) { ok_ = sqlite3_prepare_v2(db, sql, -1, &s_, nullptr) == SQLITE_OK; }
    Query(const Query&) = delete;
    Query& operator=(const Query&) = delete;
    ~Query() { sqlite3_finalize(s_); }
    Query& bind(const std::string& v) {
        if (ok_) ok_ = sqlite3_bind_text(s_, ++n_, v.data(), static_cast<int>(v.size()), SQLITE_TRANSIENT) == SQLITE_OK;
        return *this;
    }
    Query& bind(std::int64_t v) {
        if (ok_) ok_ = sqlite3_bind_int64(s_, ++n_, v) == SQLITE_OK;
        return *this;
    }
    Query& bind(double v) {
        if (ok_) ok_ = sqlite3_bind_double(s_, ++n_, v) == SQLITE_OK;
        return *this;
    }
    Query& bind(const std::optional<double>& v) {
        if (v) return bind(*v);
        if (ok_) ok_ = sqlite3_bind_null(s_, ++n_) == SQLITE_OK;
        return *this;
    }
    /// A reference to another row; 0 is none.
    Query& reference(std::int64_t id) {
        if (id != 0) return bind(id);
        if (ok_) ok_ = sqlite3_bind_null(s_, ++n_) == SQLITE_OK;
        return *this;
    }
    Query& blob(const std::string& v) {
        if (ok_) ok_ = sqlite3_bind_blob64(s_, ++n_, v.data(), v.size(), SQLITE_TRANSIENT) == SQLITE_OK;
        return *this;
    }
    bool row() {
        if (!ok_) return false;
        const int rc = sqlite3_step(s_);
        if (rc == SQLITE_ROW) return true;
        ok_ = rc == SQLITE_DONE;
        return false;
    }
    Result<bool> run() {
        row();
        return end();
    }
    Result<bool> end() const {
        if (ok_) return true;
        return fail(Code::write_failed, sqlite3_errmsg(db_));
    }
    std::int64_t integer(int c) const { return sqlite3_column_int64(s_, c); }
    bool absent(int c) const { return sqlite3_column_type(s_, c) == SQLITE_NULL; }
    double real(int c) const { return sqlite3_column_double(s_, c); }
    std::optional<double> maybe_real(int c) const { return absent(c) ? std::nullopt : std::optional(real(c)); }
    std::string text(int c) const {
        const auto* t = reinterpret_cast<const char*>(sqlite3_column_text(s_, c));
        return t ? std::string(t, static_cast<std::size_t>(sqlite3_column_bytes(s_, c))) : std::string();
    }
    std::string bytes(int c) const {
        const auto* b = static_cast<const char*>(sqlite3_column_blob(s_, c));
        return b ? std::string(b, static_cast<std::size_t>(sqlite3_column_bytes(s_, c))) : std::string();
    }

private:
    sqlite3* db_;
    sqlite3_stmt* s_ = nullptr;
    int n_ = 0;
    bool ok_ = false;
};

/// What a clip is measured by is another now: its figures are to be made anew.
Result<bool> forget_figures(sqlite3* db, std::int64_t clip);

/// Of a letter `l` of a clip `c`: that it is to the person the clip is of now. A clip that turns out to be somebody else's does not take
/// the letter along; it is there again when the clip is theirs again. Letters of older libraries name nobody.
inline constexpr const char* to_its_person =
    "coalesce(CASE WHEN json_valid(l.body) THEN json_extract(l.body, '$.person') END, c.person, 0)=coalesce(c.person, 0)";

} // namespace bevel
