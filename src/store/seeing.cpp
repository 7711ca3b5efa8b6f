// Assistants and what they saw: one row each.
#include "store/seeing.h"
#include "core/days.h"
#include "store/query.h"
#include "store/stores.h"

namespace bevel {
namespace {
constexpr std::size_t most_assistant_name = 200, most_round_text = 1U << 17U;
}

Result<std::vector<Assistant>> SeeingStore::assistants() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, name FROM assistant ORDER BY name COLLATE NOCASE, id");
    std::vector<Assistant> out;
    while (q.row()) out.push_back({q.integer(0), q.text(1)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> SeeingStore::keep(const Assistant& who) {
    if (who.name.find_first_not_of(" \t\n") == std::string::npos || who.name.size() > most_assistant_name)
        return fail(Code::bad_value, "name");
    const auto all = assistants();
    if (!all) return tl::unexpected(all.error());
    for (const auto& a : *all)
        if (a.name == who.name && a.id != who.id) return fail(Code::bad_value, "name");
    std::int64_t id = who.id;
    const auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO assistant(id, name) VALUES(?,?) ON CONFLICT(id) DO UPDATE SET name=excluded.name");
        if (auto done = q.reference(id).bind(who.name).run(); !done) return done;
        if (id == 0) id = sqlite3_last_insert_rowid(db_);
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> SeeingStore::drop(std::int64_t assistant) {
    return together([&]() -> Result<bool> {
        for (const char* sql : {"DELETE FROM seen_round WHERE assistant=?", "DELETE FROM assistant WHERE id=?"}) {
            Query q(db_, sql);
            if (auto done = q.bind(assistant).run(); !done) return done;
        }
        return true;
    });
}

Result<std::int64_t> SeeingStore::keep_round(const SeenRound& r) {
    if (r.day.empty() || !is_day(r.day)) return fail(Code::bad_value, "day");
    const std::string body = round_text(r);
    if (body.size() > most_round_text) return fail(Code::too_large, "seen");
    std::int64_t id = r.id;
    const auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO seen_round(id, assistant, clip, day, body) VALUES(?,?,?,?,?) ON CONFLICT(id) DO UPDATE SET "
                     "assistant=excluded.assistant, clip=excluded.clip, day=excluded.day, body=excluded.body");
        if (auto done = q.reference(id).bind(r.assistant).reference(r.clip).bind(r.day).bind(body).run(); !done) return done;
        if (id == 0) id = sqlite3_last_insert_rowid(db_);
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<std::vector<SeenRound>> SeeingStore::rounds(std::int64_t assistant) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, coalesce(clip, 0), day, body FROM seen_round WHERE assistant=? ORDER BY day DESC, id DESC");
    q.bind(assistant);
    std::vector<SeenRound> out;
    while (q.row()) {
        auto r = parse_round(q.text(3));
        if (!r) continue; // one damaged line hides nobody
        r->id = q.integer(0), r->assistant = assistant, r->clip = q.integer(1), r->day = q.text(2);
        out.push_back(std::move(*r));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
