// Letters: the draft of a clip, and what was sent.
#include "store/query.h"
#include "store/stores.h"
#include <nlohmann/json.hpp>

namespace bevel {

namespace {

nlohmann::json with_json(const WithCorrection& w) {
    return {{"drill", w.drill},
            {"image", w.image},
            {"homework",
             {{"movement", w.homework.movement},
              {"times_a_day", w.homework.times_a_day},
              {"a_side", w.homework.a_side},
              {"hold_s", w.homework.hold_s}}}};
}

WithCorrection with_of(const nlohmann::json& j) {
    WithCorrection w{j.value("drill", ""), j.value("image", ""), {}};
    if (j.contains("homework")) {
        const auto& h = j["homework"];
        w.homework = {h.value("movement", ""), h.value("times_a_day", 0), h.value("a_side", 0), h.value("hold_s", 0.0)};
    }
    return w;
}

nlohmann::json withs_json(const std::map<std::string, WithCorrection>& all) {
    nlohmann::json with = nlohmann::json::object();
    for (const auto& [key, w] : all)
        if (!w.empty()) with[key] = with_json(w);
    return with;
}

std::map<std::string, WithCorrection> withs_of(const nlohmann::json& j) {
    std::map<std::string, WithCorrection> out;
    if (j.contains("with"))
        for (const auto& [key, w] : j["with"].items()) out[key] = with_of(w);
    return out;
}

} // namespace

Result<std::int64_t> LetterStore::save(const LetterRecord& l) {
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        const auto before = of(l.clip);
        if (!before) return tl::unexpected(before.error());
        auto saved = save_one(l);
        if (!saved) return tl::unexpected(saved.error());
        id = *saved;
        const auto still = [&](std::int64_t clip) {
            return std::any_of(l.also.begin(), l.also.end(), [&](const LetterPart& p) { return p.clip == clip; });
        };
        std::vector<LetterPart> parts = l.also;
        if (!before->empty()) // what went with it and no longer does has a letter of its own again, with nothing chosen
            for (const auto& p : before->front().also)
                if (!still(p.clip)) parts.push_back({p.clip, {}, {}});
        const auto person = clips().get(l.clip).map([](const Clip& c) { return c.person; });
        for (const auto& p : parts) {
            if (const auto clip = clips().get(p.clip); !clip || !person || clip->person != *person || p.clip == l.clip) continue;
            const auto own = of(p.clip);
            if (!own) return tl::unexpected(own.error());
            LetterRecord one = own->empty() ? LetterRecord{} : own->front();
            if (!still(p.clip) && one.goes_with != l.clip) continue; // another letter's by now
            one.clip = p.clip, one.checks = p.checks, one.with = p.with, one.also.clear();
            one.goes_with = still(p.clip) ? l.clip : 0;
            if (auto kept = save_one(one); !kept) return tl::unexpected(kept.error());
        }
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

std::vector<std::int64_t> LetterStore::answered_with(std::int64_t clip) const {
    std::vector<std::int64_t> out{clip};
    if (const auto letters = of(clip); letters && !letters->empty())
        for (const auto& p : letters->front().also)
            if (const auto own = of(p.clip); own && !own->empty() && own->front().goes_with == clip) out.push_back(p.clip);
    return out;
}

Result<std::int64_t> LetterStore::save_one(const LetterRecord& l) {
    const auto of_whom = clips().get(l.clip).map([](const Clip& c) { return c.person; });
    const std::int64_t person = of_whom ? *of_whom : 0;
    const nlohmann::json with = withs_json(l.with);
    nlohmann::json also = nlohmann::json::array();
    for (const auto& p : l.also) also.push_back({{"clip", p.clip}, {"checks", p.checks}, {"with", withs_json(p.with)}});
    const nlohmann::json body{{"person", person},
                              {"praise", l.praise},
                              {"checks", l.checks},
                              {"opening", l.opening},
                              {"closing", l.closing},
                              {"hide_identity", l.hide_identity},
                              {"hide_date", l.hide_date},
                              {"signed_by", l.signed_by},
                              {"place", l.place},
                              {"language", l.language},
                              {"short", l.short_form},
                              {"large", l.large},
                              {"also", also},
                              {"apart", l.apart},
                              {"goes_with", l.goes_with},
                              {"with", with}};
    // One to somebody else, from before the clip was found to be this person's, gives way whole.
    Query other(db_, "DELETE FROM letter WHERE clip=?1 AND json_valid(body) AND coalesce(json_extract(body, '$.person'), ?2)<>?2");
    if (auto ok = other.bind(clips().record_of(l.clip)).bind(person).run(); !ok) return tl::unexpected(ok.error());
    // Whether it was sent and answered is said elsewhere: a draft that is changed afterwards stays what went out.
    Query q(db_, "INSERT INTO letter(clip, body, sent_on, review_on) VALUES(?,?,?,?) ON CONFLICT(clip) DO UPDATE SET body=excluded.body, "
                 "review_on=excluded.review_on, sent_on=CASE WHEN excluded.sent_on='' THEN sent_on ELSE excluded.sent_on END");
    const std::string text = body.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
    if (auto ok = q.bind(clips().record_of(l.clip)).bind(text).bind(l.sent_on).bind(l.review_on).run(); !ok)
        return tl::unexpected(ok.error());
    Query id(db_, "SELECT id FROM letter WHERE clip=?");
    id.bind(clips().record_of(l.clip));
    return id.row() ? id.integer(0) : 0;
}

Result<std::vector<LetterRecord>> LetterStore::of(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_,
            (std::string("SELECT l.id, l.clip, l.body, l.sent_on, l.how, l.answered_on, l.answer, l.review_on FROM letter l JOIN clip c ON "
                         "c.id=l.clip WHERE l.clip=? AND ") +
             to_its_person + " ORDER BY l.id")
                .c_str());
    q.bind(clips().record_of(clip));
    std::vector<LetterRecord> out;
    while (q.row()) {
        LetterRecord l;
        l.id = q.integer(0);
        l.clip = q.integer(1);
        l.sent_on = q.text(3), l.how = q.text(4), l.answered_on = q.text(5), l.answer = q.text(6), l.review_on = q.text(7);
        try {
            const auto j = nlohmann::json::parse(q.text(2));
            l.person = j.value("person", std::int64_t{0});
            l.praise = j.value("praise", "");
            l.checks = j.value("checks", std::vector<std::string>{});
            l.opening = j.value("opening", "");
            l.closing = j.value("closing", "");
            l.hide_identity = j.value("hide_identity", false);
            l.hide_date = j.value("hide_date", false);
            l.signed_by = j.value("signed_by", "");
            l.place = j.value("place", "");
            l.language = j.value("language", "");
            l.short_form = j.value("short", false);
            l.large = j.value("large", false);
            l.with = withs_of(j);
            l.apart = j.value("apart", std::vector<std::int64_t>{});
            l.goes_with = j.value("goes_with", std::int64_t{0});
            for (const auto& p : j.value("also", nlohmann::json::array()))
                l.also.push_back({p.value("clip", std::int64_t{0}), p.value("checks", std::vector<std::string>{}), withs_of(p)});
        } catch (const nlohmann::json::exception&) {
            return fail(Code::unreadable, "letter");
        }
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::int64_t> LetterStore::keep_sent(const SentLetter& l) {
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO sent(person, clip, sent_at, kind, name, hidden, body, file) VALUES(?,?,?,?,?,?,?,?)");
        q.bind(l.person).reference(l.clip).bind(l.sent_at).bind(l.kind).bind(l.name).bind(std::int64_t{l.hidden}).bind(l.body);
        if (auto done = q.blob(l.file).run(); !done) return done;
        id = sqlite3_last_insert_rowid(db_);
        for (const auto clip : answered_with(l.clip)) {
            Query draft(db_, "UPDATE letter SET sent_on=?, went=body WHERE clip=?");
            if (auto done = draft.bind(l.sent_at.substr(0, 10)).bind(clips().record_of(clip)).run(); !done) return done;
        }
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<std::vector<SentLetter>> LetterStore::sent(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, person, clip, sent_at, kind, name, hidden, body FROM sent WHERE person=? ORDER BY sent_at DESC, id DESC");
    q.bind(person);
    std::vector<SentLetter> out;
    while (q.row())
        out.push_back({q.integer(0), q.integer(1), q.integer(2), q.text(3), q.text(4), q.text(5), q.integer(6) != 0, q.text(7), {}});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::string> LetterStore::sent_file(std::int64_t id) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT file FROM sent WHERE id=?");
    q.bind(id);
    if (!q.row()) return fail(Code::not_found, "letter");
    return q.bytes(0);
}

Result<bool> LetterStore::set_sent(std::int64_t clip, const std::string& day, const std::string& how) {
    return together([&]() -> Result<bool> {
        for (const auto one : answered_with(clip)) {
            // Written first, then sent: taking it back leaves the day it was written.
            Query q(db_, "UPDATE letter SET how=?1, sent_on=CASE WHEN ?2='' THEN sent_on ELSE ?2 END, went=CASE WHEN went='' AND ?2<>'' "
                         "THEN body ELSE went END WHERE clip=?3");
            if (auto ok = q.bind(how).bind(day).bind(clips().record_of(one)).run(); !ok) return ok;
        }
        return true;
    });
}

Result<bool> LetterStore::set_answered(std::int64_t clip, const std::string& day, const std::string& words) {
    return together([&]() -> Result<bool> {
        for (const auto one : answered_with(clip)) {
            Query q(db_, "UPDATE letter SET answered_on=?, answer=? WHERE clip=?");
            if (auto ok = q.bind(day).bind(words).bind(clips().record_of(one)).run(); !ok) return ok;
        }
        return true;
    });
}

namespace {
const std::string letter_lines_sql =
    "SELECT l.clip, c.person, p.name, coalesce(f.body, ''), c.movement, l.sent_on, l.how, l.answered_on, l.review_on, "
    "coalesce((SELECT max(CASE WHEN n.filmed_on='' THEN n.arrived_on ELSE n.filmed_on END) FROM clip n WHERE n.person=c.person AND "
    "n.movement=c.movement AND n.id<>c.id AND n.pair<>c.id AND CASE WHEN n.filmed_on='' THEN n.arrived_on ELSE n.filmed_on END > CASE "
    "WHEN c.filmed_on='' THEN c.arrived_on ELSE c.filmed_on END), '') FROM letter l JOIN clip c ON c.id=l.clip JOIN person p ON "
    "p.id=c.person LEFT JOIN facts f ON f.person=p.id ";

Result<std::vector<LetterLine>> lines_of(Query& q) {
    std::vector<LetterLine> out;
    while (q.row()) {
        LetterLine l;
        l.clip = q.integer(0), l.person = q.integer(1), l.name = q.text(2);
        const auto facts = nlohmann::json::parse(q.text(3), nullptr, false);
        if (facts.is_object() && facts.contains("alias") && facts["alias"].is_string()) l.alias = facts["alias"].get<std::string>();
        l.movement = q.text(4), l.sent_on = q.text(5), l.how = q.text(6), l.answered_on = q.text(7), l.review_on = q.text(8);
        l.newer_clip_on = q.text(9);
        l.state = !l.answered_on.empty() ? LetterState::answered
                  : !l.how.empty()       ? LetterState::sent
                  : !l.sent_on.empty()   ? LetterState::written
                                         : LetterState::draft;
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}
} // namespace

Result<std::vector<LetterLine>> LetterStore::lines(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, (letter_lines_sql + "WHERE (?1=0 OR c.person=?1) AND l.how<>'none' AND " + to_its_person +
                  " ORDER BY l.sent_on='' DESC, l.sent_on DESC, l.id DESC")
                     .c_str());
    return lines_of(q.bind(person));
}

// What is half a year old is no longer asked for.
Result<std::vector<LetterLine>> LetterStore::due(const std::string& day) const {
    const std::lock_guard lock(*mutex_);
    // Where a newer clip came there is nothing to ask for.
    const std::string sql =
        std::string(
            "WITH asked AS (SELECT l.*, c.person, c.movement, CASE WHEN c.filmed_on='' THEN c.arrived_on ELSE c.filmed_on END AS day "
            "FROM letter l JOIN clip c ON c.id=l.clip WHERE l.review_on<>'' AND l.review_on<=?1 AND l.review_on>=date(?1, '-180 days') "
            "AND l.sent_on<>'' AND l.how<>'none' AND ") +
        to_its_person +
        ") "
        "SELECT a.clip, a.person, p.name, coalesce(f.body, ''), a.movement, a.sent_on, a.how, a.answered_on, a.review_on, '' FROM "
        "asked a JOIN person p ON p.id=a.person LEFT JOIN facts f ON f.person=p.id WHERE NOT EXISTS (SELECT 1 FROM clip n WHERE "
        "n.person=a.person AND n.movement=a.movement AND n.filmed_on>a.day AND n.pair<>a.clip AND n.id<>a.clip) AND NOT EXISTS "
        "(SELECT 1 FROM clip n WHERE n.person=a.person AND n.movement=a.movement AND n.filmed_on='' AND n.arrived_on>a.day AND "
        "n.pair<>a.clip AND n.id<>a.clip) ORDER BY a.review_on, a.id";
    Query q(db_, sql.c_str());
    return lines_of(q.bind(day));
}

Result<std::int64_t> LetterStore::keep_phrase(const Phrase& p) {
    if (p.words.empty()) return fail(Code::bad_value, "words");
    const std::lock_guard lock(*mutex_);
    if (read_only_) return fail(Code::write_failed, "read_only");
    Query q(db_,
            "INSERT INTO phrase(check_id, direction, role, language, words, used, last_on) VALUES(?,?,?,?,?,1,?) ON CONFLICT(check_id, "
            "direction, role, language, words) DO UPDATE SET used=used+1, last_on=excluded.last_on RETURNING id");
    q.bind(p.check).bind(p.direction).bind(p.role).bind(p.language).bind(p.words).bind(p.last_on);
    if (!q.row()) {
        if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
        return fail(Code::write_failed, "phrase");
    }
    return q.integer(0);
}

Result<bool> LetterStore::drop_phrase(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM phrase WHERE id=?");
        return q.bind(id).run();
    });
}

Result<std::vector<Phrase>> LetterStore::phrases(const std::string& check, const std::string& direction, const std::string& role,
                                                 const std::string& language) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, check_id, direction, role, language, words, used, last_on FROM phrase WHERE (?1='' OR (check_id=?1 AND "
                 "direction=?2)) AND (?4='' OR language=?4) ORDER BY role=?3 DESC, used DESC, last_on DESC, id");
    q.bind(check).bind(direction).bind(role).bind(language);
    std::vector<Phrase> out;
    while (q.row())
        out.push_back({q.integer(0), q.text(1), q.text(2), q.text(3), q.text(4), q.text(5), static_cast<int>(q.integer(6)), q.text(7)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<LetterStore::SaidBefore> LetterStore::said_before(std::int64_t person, const std::string& movement, const std::string& key) const {
    const std::lock_guard lock(*mutex_);
    const std::string sql =
        std::string("SELECT CASE WHEN l.went='' THEN l.body ELSE l.went END, l.sent_on FROM letter l JOIN clip c ON c.id=l.clip WHERE "
                    "c.person=? AND c.movement=? AND l.sent_on<>'' AND l.how<>'none' AND ") +
        to_its_person + " ORDER BY l.sent_on";
    Query q(db_, sql.c_str());
    q.bind(person).bind(movement);
    SaidBefore out;
    while (q.row()) {
        const auto j = nlohmann::json::parse(q.text(0), nullptr, false);
        if (!j.is_object() || !j.contains("checks") || !j["checks"].is_array()) continue;
        if (std::find(j["checks"].begin(), j["checks"].end(), key) == j["checks"].end()) continue;
        if (out.times++ == 0) out.first = q.text(1);
        out.last = q.text(1);
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<Waiting>> LetterStore::waiting() const {
    const std::lock_guard lock(*mutex_);
    // The second clip of a pair is looked at with the first. Of those that were reviewed, what was kept for a letter within two months of
    // the newest clip: older ones were left without one.
    const std::string sql =
        std::string(
            "SELECT c.id, coalesce(c.person, 0), coalesce(p.name, ''), c.movement, c.arrived_on, c.filmed_on, c.state FROM clip c LEFT "
            "JOIN person p ON p.id=c.person LEFT JOIN letter l ON l.clip=c.id AND ") +
        to_its_person +
        " WHERE c.state IN (1, 2, 4) AND (c.pair=0 OR c.id<c.pair)"
        " AND coalesce(l.sent_on, '')='' AND (c.state<>2 OR c.arrived_on>=(SELECT date(max(arrived_on), '-60 days') FROM clip WHERE "
        "arrived_on<=date('now', '+1 day'))) AND "
        "(c.state<>2 OR EXISTS(SELECT 1 "
        "FROM decision d WHERE d.clip=c.id AND d.choice=1)) ORDER BY c.arrived_on, c.filmed_on, c.id";
    Query q(db_, sql.c_str());
    std::vector<Waiting> out;
    while (q.row()) {
        Waiting w;
        w.clip = q.integer(0), w.person = q.integer(1), w.name = q.text(2), w.movement = q.text(3);
        w.arrived_on = q.text(4), w.filmed_on = q.text(5);
        w.unnamed = q.integer(6) == static_cast<std::int64_t>(ClipState::asked);
        out.push_back(std::move(w));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    for (auto& w : out) {
        if (w.unnamed) continue;
        const auto asked = records().asked_before(w.clip);
        if (!asked) return tl::unexpected(asked.error());
        for (const auto& a : *asked) w.asked.push_back(a.key), w.asked_on = a.day;
    }
    return out;
}

} // namespace bevel
