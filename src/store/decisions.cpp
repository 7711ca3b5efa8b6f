// What was decided about clips, and what is agreed with people.
#include "store/query.h"
#include "store/stores.h"
#include <algorithm>

namespace bevel {

Result<bool> DecisionStore::decide(std::int64_t clip, const Decision& d) {
    return together([&]() -> Result<bool> {
        if (auto ok = save(clip, d); !ok) return ok;
        Query q(db_, "UPDATE clip SET state=?1, problem='' WHERE id=?2 OR pair=?2"); // the whole pair is
        return q.bind(static_cast<std::int64_t>(ClipState::reviewed)).bind(clip).run();
    });
}

Result<bool> DecisionStore::save(std::int64_t clip, const Decision& d) {
    return write([&] {
        Query q(db_,
                "INSERT INTO decision(clip, check_id, side, choice, wording, note) VALUES(?,?,?,?,?,?)"
                " ON CONFLICT(clip, check_id, side) DO UPDATE SET choice=excluded.choice, wording=excluded.wording, note=excluded.note");
        return q.bind(clips().record_of(clip))
            .bind(d.key.check_text())
            .bind(d.key.side_text())
            .bind(static_cast<std::int64_t>(d.choice))
            .bind(d.wording)
            .bind(d.note)
            .run();
    });
}

Result<std::vector<Decision>> DecisionStore::of(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT check_id, side, choice, wording, note FROM decision WHERE clip=? ORDER BY check_id, side");
    q.bind(clips().record_of(clip));
    std::vector<Decision> out;
    while (q.row())
        out.emplace_back(q.text(0), q.text(1), static_cast<Choice>(std::clamp<std::int64_t>(q.integer(2), 0, 2)), q.text(3), q.text(4));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> DecisionStore::save_seen(const Remark& s) {
    if (s.words.empty()) return fail(Code::bad_value, "words");
    const std::lock_guard lock(*mutex_);
    if (read_only_) return fail(Code::write_failed, "read_only");
    Query q(db_, "INSERT INTO seen(id, clip, time_s, family, side, safety, words) VALUES(?,?,?,?,?,?,?) ON CONFLICT(id) DO UPDATE SET "
                 "time_s=excluded.time_s, family=excluded.family, side=excluded.side, safety=excluded.safety, words=excluded.words");
    q.reference(s.id).bind(s.clip).bind(s.time_s).bind(std::int64_t{s.family}).bind(s.side).bind(std::int64_t{s.safety}).bind(s.words);
    if (auto ok = q.run(); !ok) return tl::unexpected(ok.error());
    return s.id != 0 ? s.id : sqlite3_last_insert_rowid(db_);
}

Result<bool> DecisionStore::drop_seen(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM seen WHERE id=?");
        return q.bind(id).run();
    });
}

Result<std::vector<Remark>> DecisionStore::seen_in(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, clip, time_s, family, side, safety, words FROM seen WHERE clip=? ORDER BY time_s, id");
    q.bind(clip);
    std::vector<Remark> out;
    while (q.row())
        out.push_back({q.integer(0), q.integer(1), q.real(2), static_cast<int>(q.integer(3)), q.text(4), q.integer(5) != 0, q.text(6)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> DecisionStore::save_agreement(const Agreement& a) {
    if (a.reason.empty()) return fail(Code::bad_value, "reason");
    if (a.check.empty() || (a.person == 0) == (a.clip == 0)) return fail(Code::bad_value, "check");
    if (!a.off && ((!a.low && !a.high) || (a.low && a.high && *a.low > *a.high))) return fail(Code::bad_value, "band");
    if (!a.from_day.empty() && !a.until_day.empty() && a.from_day > a.until_day) return fail(Code::bad_value, "days");
    const std::lock_guard lock(*mutex_);
    if (read_only_) return fail(Code::write_failed, "read_only");
    Query q(db_, a.id == 0 ? "INSERT INTO agreement(person, clip, check_id, low, high, off, reason, from_day, until_day) "
                             "VALUES(?,?,?,?,?,?,?,?,?)"
                           : "UPDATE agreement SET person=?, clip=?, check_id=?, low=?, high=?, off=?, reason=?, from_day=?, until_day=? "
                             "WHERE id=?");
    q.reference(a.person)
        .reference(a.clip)
        .bind(a.check)
        .bind(a.low)
        .bind(a.high)
        .bind(std::int64_t{a.off})
        .bind(a.reason)
        .bind(a.from_day);
    q.bind(a.until_day);
    if (a.id != 0) q.bind(a.id);
    if (auto ok = q.run(); !ok) return tl::unexpected(ok.error());
    return a.id != 0 ? a.id : sqlite3_last_insert_rowid(db_);
}

Result<bool> DecisionStore::remove_agreement(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM agreement WHERE id=?");
        return q.bind(id).run();
    });
}

namespace {
constexpr const char* agreement_columns = "SELECT id, person, clip, check_id, low, high, off, reason, from_day, until_day FROM agreement ";

Result<std::vector<Agreement>> agreements_of(Query& q) {
    std::vector<Agreement> out;
    while (q.row())
        out.push_back({q.integer(0), q.integer(1), q.integer(2), q.text(3), q.maybe_real(4), q.maybe_real(5), q.integer(6) != 0, q.text(7),
                       q.text(8), q.text(9)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}
} // namespace

Result<std::vector<Agreement>> DecisionStore::agreements(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, (std::string(agreement_columns) + "WHERE person=? ORDER BY from_day, id").c_str());
    return agreements_of(q.bind(person));
}

Result<std::vector<Agreement>> DecisionStore::agreements_for(const Clip& clip) const {
    const std::lock_guard lock(*mutex_);
    const std::string day = clip.filmed_on.empty() ? clip.arrived_on : clip.filmed_on;
    Query q(db_, (std::string(agreement_columns) + "WHERE clip=?1 OR (person=?2 AND from_day<=?3 AND (until_day='' OR until_day>=?3)) "
                                                   "ORDER BY clip IS NOT NULL, from_day, id")
                     .c_str());
    return agreements_of(q.bind(clip.id).bind(clip.person).bind(day));
}

} // namespace bevel
