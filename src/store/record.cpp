// What a person's record is made of.
#include "store/query.h"
#include "store/stores.h"
#include <algorithm>
#include <nlohmann/json.hpp>

namespace bevel {

Result<Condition> RecordStore::condition(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT pain, energy FROM condition WHERE clip=?");
    q.bind(clip);
    Condition c;
    if (q.row()) {
        c.pain = q.text(0);
        if (!q.absent(1)) c.energy = static_cast<int>(q.integer(1));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return c;
}

Result<bool> RecordStore::set_condition(std::int64_t clip, const Condition& c) {
    if (c.energy && (*c.energy < 0 || *c.energy > 10)) return fail(Code::bad_value, "energy");
    return write([&] {
        Query q(db_, "INSERT INTO condition(clip, pain, energy) VALUES(?,?,?) ON CONFLICT(clip) DO UPDATE SET pain=excluded.pain, "
                     "energy=excluded.energy");
        return q.bind(clip).bind(c.pain).bind(c.energy ? std::optional<double>(*c.energy) : std::nullopt).run();
    });
}

Result<bool> RecordStore::keep_figures(std::int64_t clip, const std::vector<KeptFigure>& figures) {
    return together([&]() -> Result<bool> {
        Query gone(db_, "DELETE FROM figure WHERE clip=?");
        if (auto ok = gone.bind(clip).run(); !ok) return ok;
        // A clip of which nothing can be told is known as such.
        Query seen(db_, "INSERT OR REPLACE INTO figures_of(clip, count) VALUES(?,?)");
        if (auto ok = seen.bind(clip).bind(static_cast<std::int64_t>(figures.size())).run(); !ok) return ok;
        for (const auto& f : figures) {
            Query q(db_,
                    "INSERT OR REPLACE INTO figure(clip, movement, view, check_id, side, measure, unit, value, own, of_clip, person_part, "
                    "low, high, matters, judged, reference, version) VALUES(?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)");
            q.bind(clip).bind(f.movement).bind(f.view).bind(f.check).bind(f.side).bind(f.measure).bind(f.unit);
            q.bind(f.value).bind(f.own).bind(f.of_clip).bind(f.person).bind(f.low).bind(f.high).bind(f.matters);
            if (auto ok = q.bind(static_cast<std::int64_t>(f.judged)).bind(std::int64_t{f.reference}).bind(f.version).run(); !ok) return ok;
        }
        return true;
    });
}

Result<std::vector<KeptFigure>> RecordStore::figures(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_,
            "SELECT f.clip, CASE WHEN c.filmed_on='' THEN c.arrived_on ELSE c.filmed_on END, f.view, f.movement, f.check_id, f.measure, "
            "f.unit, f.side, f.value, f.own, f.of_clip, f.person_part, f.low, f.high, f.matters, f.judged, f.reference, f.version FROM "
            "figure f JOIN "
            "clip c ON c.id=f.clip WHERE c.person=? ORDER BY 2, f.clip");
    q.bind(person);
    std::vector<KeptFigure> out;
    while (q.row()) {
        KeptFigure f;
        f.clip = q.integer(0);
        f.day = q.text(1), f.view = q.text(2), f.movement = q.text(3), f.check = q.text(4), f.measure = q.text(5), f.unit = q.text(6);
        f.side = q.text(7);
        f.value = q.real(8), f.own = q.real(9), f.of_clip = q.real(10), f.person = q.real(11);
        f.low = q.maybe_real(12), f.high = q.maybe_real(13);
        f.matters = q.real(14);
        f.judged = static_cast<int>(q.integer(15));
        f.reference = q.integer(16) != 0;
        f.version = q.text(17);
        out.push_back(std::move(f));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<std::int64_t>> RecordStore::without_figures(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_,
            "SELECT id FROM clip WHERE person=? AND state IN (1, 2) AND id NOT IN (SELECT clip FROM figures_of) ORDER BY filmed_on, id");
    q.bind(person);
    std::vector<std::int64_t> out;
    while (q.row()) out.push_back(q.integer(0));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<AskedBefore>> RecordStore::asked_before(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    const std::string to_them = std::string("(") + to_its_person + ")"; // the letter's clip `o` is of the person of `c`
    const std::string sql =
        std::string(
            "SELECT o.id, CASE WHEN l.went='' THEN l.body ELSE l.went END, l.sent_on FROM clip c JOIN clip o ON o.person=c.person AND "
            "o.movement=c.movement AND o.id<>c.id JOIN "
            "letter l ON l.clip=o.id WHERE c.id=? AND l.sent_on<>'' AND l.how<>'none' AND (CASE WHEN o.filmed_on='' THEN o.arrived_on "
            "ELSE o.filmed_on "
            "END) <= (CASE WHEN c.filmed_on='' THEN c.arrived_on ELSE c.filmed_on END) AND ") +
        to_them + " ORDER BY o.filmed_on DESC, o.id DESC LIMIT 1";
    Query q(db_, sql.c_str());
    q.bind(clip);
    std::vector<AskedBefore> out;
    if (q.row()) {
        const auto before = q.integer(0);
        const auto j = nlohmann::json::parse(q.text(1), nullptr, false);
        const auto said = decisions().of(before);
        if (j.is_object() && j.contains("checks") && j["checks"].is_array())
            for (const auto& k : j["checks"]) {
                if (!k.is_string()) continue;
                AskedBefore a{k.get<std::string>(), "", q.text(2)};
                if (said)
                    for (const auto& d : *said)
                        if (d.key.text() == a.key) a.words = d.wording;
                out.push_back(std::move(a));
            }
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<RecordLine>> RecordStore::lines(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    using What = RecordLine::What;
    std::vector<RecordLine> out;
    const std::string day = "CASE WHEN c.filmed_on='' THEN c.arrived_on ELSE c.filmed_on END";
    const auto read = [&](const std::string& sql, What what) -> Result<bool> {
        Query q(db_, sql.c_str());
        q.bind(person);
        while (q.row()) out.push_back({q.text(0), what, q.integer(1), q.text(2), q.text(3), q.text(4), q.text(5), q.text(6)});
        return q.end();
    };
    for (const auto& [sql, what] :
         {std::pair{"SELECT " + day + ", c.id, c.movement, c.view, '', '', '' FROM clip c WHERE c.person=?", What::clip},
          {"SELECT " + day +
               ", c.id, c.movement, c.view, d.check_id, d.side, d.wording FROM decision d JOIN clip c ON c.id=d.clip WHERE "
               "d.choice=1 AND d.check_id NOT LIKE 'seen:%' AND c.person=?",
           What::kept},
          {"SELECT " + day + ", c.id, c.movement, c.view, '', s.side, s.words FROM seen s JOIN clip c ON c.id=s.clip WHERE c.person=?",
           What::remark},
          {std::string("SELECT substr(sent_at, 1, 10), coalesce(clip, 0), '', kind, '', '', name FROM sent WHERE person=?"), What::letter},
          {std::string("SELECT from_day, 0, '', '', check_id, '', reason FROM agreement WHERE person=?"), What::agreed},
          {std::string("SELECT day, 0, '', '', '', CAST(minutes AS TEXT), title || CASE WHEN felt='' THEN '' ELSE ': ' || felt END FROM "
                       "practice WHERE person=?"),
           What::practice},
          {"SELECT " + day +
               ", c.id, c.movement, c.view, '', coalesce(CAST(o.energy AS TEXT), ''), o.pain FROM condition o JOIN clip c ON c.id=o.clip "
               "WHERE (o.pain<>'' OR o.energy IS NOT NULL) AND c.person=?",
           What::day}})
        if (auto ok = read(sql, what); !ok) return tl::unexpected(ok.error());
    std::stable_sort(out.begin(), out.end(), [](const RecordLine& a, const RecordLine& b) { return a.day > b.day; });
    return out;
}

} // namespace bevel
