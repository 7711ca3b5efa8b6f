// What was practised, by day.
#include "store/query.h"
#include "store/stores.h"
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel {

Result<std::int64_t> PracticeStore::keep(const PracticeLog& log) {
    if (log.effort && (*log.effort < 0 || *log.effort > 10)) return fail(Code::bad_value, "effort");
    if (!std::isfinite(log.minutes) || log.minutes < 0 || log.minutes > 24 * 60) return fail(Code::bad_value, "minutes");
    nlohmann::json done = nlohmann::json::array();
    for (const auto& p : log.done)
        done.push_back({{"movement", p.movement}, {"kind", p.kind}, {"left", p.left}, {"right", p.right}, {"seconds", p.seconds}});
    const auto text = done.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
    const std::lock_guard lock(*mutex_);
    if (read_only_) return fail(Code::write_failed, "read_only");
    Query q(db_, "INSERT INTO practice(id, person, day, title, minutes, effort, felt, pain, done, plan) VALUES(?,?,?,?,?,?,?,?,?,?) ON "
                 "CONFLICT(id) DO UPDATE SET person=excluded.person, day=excluded.day, title=excluded.title, minutes=excluded.minutes, "
                 "effort=excluded.effort, felt=excluded.felt, pain=excluded.pain, done=excluded.done, plan=excluded.plan");
    q.reference(log.id).reference(log.person).bind(log.day).bind(log.title).bind(log.minutes);
    q.bind(log.effort ? std::optional<double>(*log.effort) : std::nullopt).bind(log.felt).bind(log.pain).bind(text).bind(log.plan);
    if (auto ok = q.run(); !ok) return tl::unexpected(ok.error());
    return log.id != 0 ? log.id : sqlite3_last_insert_rowid(db_);
}

Result<bool> PracticeStore::drop(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM practice WHERE id=?");
        return q.bind(id).run();
    });
}

Result<std::vector<PracticeLog>> PracticeStore::of(std::int64_t person, const std::string& from_day) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, person == 0 ? "SELECT id, coalesce(person, 0), day, title, minutes, effort, felt, pain, done, plan FROM practice WHERE "
                               "person IS NULL AND day>=?2 ORDER BY day DESC, id DESC"
                             : "SELECT id, coalesce(person, 0), day, title, minutes, effort, felt, pain, done, plan FROM practice WHERE "
                               "person=?1 AND day>=?2 ORDER BY day DESC, id DESC");
    q.bind(person).bind(from_day);
    std::vector<PracticeLog> out;
    while (q.row()) {
        PracticeLog l;
        l.id = q.integer(0), l.person = q.integer(1), l.day = q.text(2), l.title = q.text(3), l.minutes = q.real(4);
        if (!q.absent(5)) l.effort = static_cast<int>(q.integer(5));
        l.felt = q.text(6), l.pain = q.text(7), l.plan = q.text(9);
        const auto j = nlohmann::json::parse(q.text(8), nullptr, false);
        if (!j.is_array()) return fail(Code::unreadable, "practice");
        for (const auto& p : j) {
            if (!p.is_object()) return fail(Code::unreadable, "practice");
            try {
                l.done.push_back(
                    {p.value("movement", ""), p.value("kind", ""), p.value("left", 0), p.value("right", 0), p.value("seconds", 0.0)});
            } catch (const nlohmann::json::exception&) {
                return fail(Code::unreadable, "practice");
            }
        }
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
