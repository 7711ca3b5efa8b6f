// Letters: the draft of a clip, and what was sent.
#include "store/library.h"
#include "store/query.h"
#include <nlohmann/json.hpp>

namespace bevel {

Result<std::int64_t> Library::save_letter(const LetterRecord& l) {
    const nlohmann::json body{{"praise", l.praise},
                              {"checks", l.checks},
                              {"opening", l.opening},
                              {"closing", l.closing},
                              {"hide_identity", l.hide_identity},
                              {"hide_date", l.hide_date},
                              {"signed_by", l.signed_by},
                              {"place", l.place}};
    const std::lock_guard lock(*mutex_);
    if (read_only_) return fail(Code::write_failed, "read_only");
    Query q(db_, "INSERT INTO letter(clip, body, sent_on) VALUES(?,?,?) ON CONFLICT(clip) DO UPDATE SET body=excluded.body, "
                 "sent_on=excluded.sent_on");
    if (auto ok = q.bind(record_of(l.clip)).bind(body.dump()).bind(l.sent_on).run(); !ok) return tl::unexpected(ok.error());
    Query id(db_, "SELECT id FROM letter WHERE clip=?");
    id.bind(record_of(l.clip));
    return id.row() ? id.integer(0) : 0;
}

Result<std::vector<LetterRecord>> Library::letters(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, clip, body, sent_on FROM letter WHERE clip=? ORDER BY id");
    q.bind(record_of(clip));
    std::vector<LetterRecord> out;
    while (q.row()) {
        LetterRecord l;
        l.id = q.integer(0);
        l.clip = q.integer(1);
        l.sent_on = q.text(3);
        try {
            const auto j = nlohmann::json::parse(q.text(2));
            l.praise = j.value("praise", "");
            l.checks = j.value("checks", std::vector<std::string>{});
            l.opening = j.value("opening", "");
            l.closing = j.value("closing", "");
            l.hide_identity = j.value("hide_identity", false);
            l.hide_date = j.value("hide_date", false);
            l.signed_by = j.value("signed_by", "");
            l.place = j.value("place", "");
        } catch (const nlohmann::json::exception&) {
            return fail(Code::unreadable, "letter");
        }
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> Library::keep_sent(const SentLetter& l) {
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO sent(person, clip, sent_at, kind, name, hidden, body, file) VALUES(?,?,?,?,?,?,?,?)");
        q.bind(l.person).reference(l.clip).bind(l.sent_at).bind(l.kind).bind(l.name).bind(std::int64_t{l.hidden}).bind(l.body);
        if (auto done = q.blob(l.file).run(); !done) return done;
        id = sqlite3_last_insert_rowid(db_);
        Query draft(db_, "UPDATE letter SET sent_on=? WHERE clip=?");
        return draft.bind(l.sent_at.substr(0, 10)).bind(record_of(l.clip)).run();
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<std::vector<SentLetter>> Library::sent(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, person, clip, sent_at, kind, name, hidden, body FROM sent WHERE person=? ORDER BY sent_at DESC, id DESC");
    q.bind(person);
    std::vector<SentLetter> out;
    while (q.row())
        out.push_back({q.integer(0), q.integer(1), q.integer(2), q.text(3), q.text(4), q.text(5), q.integer(6) != 0, q.text(7), {}});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::string> Library::sent_file(std::int64_t id) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT file FROM sent WHERE id=?");
    q.bind(id);
    if (!q.row()) return fail(Code::not_found, "letter");
    return q.bytes(0);
}

} // namespace bevel
