// People: who they are, how tall on which day, what is right for them.
#include "core/days.h"
#include "store/connection.h"
#include "store/query.h"
#include "store/stores.h"
#include <algorithm>
#include <nlohmann/json.hpp>

namespace bevel {

Result<std::int64_t> PeopleStore::add(const Person& p, const std::string& day) {
    if (p.name.empty()) return fail(Code::bad_value, "name");
    std::int64_t id = 0;
    auto ok = together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO person(name, stature_m, notes) VALUES(?,?,?)");
        if (auto done = q.bind(p.name).bind(p.stature_m).bind(p.notes).run(); !done) return done;
        id = sqlite3_last_insert_rowid(db_);
        if (!p.height_said) return true;
        Query h(db_, "INSERT INTO height(person, day, stature_m) VALUES(?,?,?)");
        return h.bind(id).bind(day).bind(p.stature_m).run();
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> PeopleStore::update(const Person& p) {
    return write([&] {
        Query q(db_, "UPDATE person SET name=?, notes=? WHERE id=?");
        return q.bind(p.name).bind(p.notes).bind(p.id).run();
    });
}

Result<bool> PeopleStore::set_height(std::int64_t person, const std::string& day, double metres) {
    return together([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO height(person, day, stature_m) VALUES(?,?,?) ON CONFLICT(person, day) DO UPDATE SET "
                     "stature_m=excluded.stature_m");
        if (auto ok = q.bind(person).bind(day).bind(metres).run(); !ok) return ok;
        for (const char* sql : {"DELETE FROM figure WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                "DELETE FROM figures_of WHERE clip IN (SELECT id FROM clip WHERE person=?)"}) {
            Query figures(db_, sql); // another height, other figures
            if (auto ok = figures.bind(person).run(); !ok) return ok;
        }
        Query last(db_, "UPDATE person SET stature_m=(SELECT stature_m FROM height WHERE person=?1 ORDER BY day DESC LIMIT 1) WHERE id=?1");
        return last.bind(person).run();
    });
}

Result<bool> PeopleStore::forget_heights(std::int64_t person) {
    return together([&]() -> Result<bool> {
        for (const char* sql :
             {"DELETE FROM height WHERE person=?", "DELETE FROM figure WHERE clip IN (SELECT id FROM clip WHERE person=?)",
              "DELETE FROM figures_of WHERE clip IN (SELECT id FROM clip WHERE person=?)"}) {
            Query q(db_, sql);
            if (auto ok = q.bind(person).run(); !ok) return ok;
        }
        return true;
    });
}

Result<double> PeopleStore::height_at(std::int64_t person, const std::string& day) const {
    const std::lock_guard lock(*mutex_);
    if (!has_heights()) {
        Query q(db_, "SELECT stature_m FROM person WHERE id=?");
        q.bind(person);
        return q.row() ? Result<double>(q.real(0)) : fail(Code::not_found, "person");
    }
    // The last one up to that day; before the first, the first.
    Query q(db_, "SELECT stature_m FROM height WHERE person=?1 ORDER BY day<=?2 DESC, CASE WHEN day<=?2 THEN day END DESC, day LIMIT 1");
    q.bind(person).bind(day);
    return q.row() ? Result<double>(q.real(0)) : fail(Code::not_found, "person");
}

bool PeopleStore::has_heights() const {
    Query q(db_, "SELECT 1 FROM sqlite_master WHERE name='height'");
    return q.row();
}

Result<bool> PeopleStore::set_shoulder_width(std::int64_t person, double metres) {
    return write([&] {
        Query q(db_, "UPDATE person SET shoulder_width_m=? WHERE id=?");
        return q.bind(metres).bind(person).run();
    });
}

Result<bool> PeopleStore::set_own_units(std::int64_t person, double fist_m, double foot_m) {
    return write([&] {
        Query q(db_, "UPDATE person SET fist_m=?, foot_m=? WHERE id=?");
        return q.bind(fist_m).bind(foot_m).bind(person).run();
    });
}

Result<std::vector<std::pair<std::string, double>>> PeopleStore::heights(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT day, stature_m FROM height WHERE person=? ORDER BY day");
    q.bind(person);
    std::vector<std::pair<std::string, double>> out;
    while (q.row()) out.emplace_back(q.text(0), q.real(1));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<std::vector<Person>> PeopleStore::all() const {
    const std::lock_guard lock(*mutex_);
    const std::string said = has_heights() ? "EXISTS(SELECT 1 FROM height WHERE height.person=person.id)" : "1";
    Query q(db_, ("SELECT id, name, stature_m, notes, shoulder_width_m, keep_until, fist_m, foot_m, neutral, " + said +
                  " FROM person ORDER BY name COLLATE NOCASE")
                     .c_str());
    std::vector<Person> out;
    while (q.row()) {
        out.push_back({q.integer(0), q.text(1), q.real(2), q.text(3), q.real(4), q.text(5), q.real(6), q.real(7)});
        out.back().height_said = q.integer(9) != 0;
        if (auto own = parse_neutral(q.text(8))) out.back().neutral = std::move(*own); // one that is damaged is set anew
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

std::string_view purpose_name(Purpose p) {
    constexpr std::array<std::string_view, purposes> names{"kept", "shown", "learned"};
    return names[static_cast<std::size_t>(p)];
}

bool agrees(const PersonFacts& facts, Purpose purpose, const std::string& day) {
    return std::any_of(facts.consents.begin(), facts.consents.end(),
                       [&](const Consent& c) { return c.purpose == purpose && c.from <= day && (c.until.empty() || day < c.until); });
}

void set_consent(PersonFacts& facts, Purpose purpose, bool agreed, const std::string& day) {
    if (agrees(facts, purpose, day) == agreed) return;
    if (agreed) return facts.consents.push_back({purpose, day, {}});
    for (auto& c : facts.consents)
        if (c.purpose == purpose && (c.until.empty() || day < c.until)) c.until = day;
    std::erase_if(facts.consents, [](const Consent& c) { return !c.until.empty() && c.until <= c.from; });
}

Result<PersonFacts> PeopleStore::facts(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT body FROM facts WHERE person=?");
    q.bind(person);
    PersonFacts f;
    if (!q.row()) {
        if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
        return f;
    }
    const auto j = nlohmann::json::parse(q.text(0), nullptr, false);
    if (!j.is_object()) return fail(Code::unreadable, "facts");
    const auto text = [&](const nlohmann::json& of, const char* key) {
        return of.is_object() && of.contains(key) && of[key].is_string() ? of[key].get<std::string>() : std::string();
    };
    f.alias = text(j, "alias"), f.goals = text(j, "goals"), f.consent = text(j, "consent");
    f.language = text(j, "language"), f.email = text(j, "email");
    f.lengths = text(j, "lengths");
    if (j.contains("balance_step") && j["balance_step"].is_number_integer())
        f.balance_step = std::clamp(j["balance_step"].get<int>(), 0, 7);
    // What cannot be read is no consent.
    if (j.contains("consents") && j["consents"].is_array())
        for (const auto& c : j["consents"])
            for (int p = 0; p < purposes; ++p) {
                const Consent read{static_cast<Purpose>(p), text(c, "from"), text(c, "until")};
                if (text(c, "purpose") == purpose_name(read.purpose) && !read.from.empty() && is_day(read.from) && is_day(read.until))
                    f.consents.push_back(read);
            }
    if (j.contains("taught") && j["taught"].is_array())
        for (const auto& t : j["taught"]) f.taught.push_back({text(t, "movement"), text(t, "version"), text(t, "up_to")});
    return f;
}

Result<bool> PeopleStore::set_facts(std::int64_t person, const PersonFacts& f) {
    nlohmann::json taught = nlohmann::json::array(), consents = nlohmann::json::array();
    for (const auto& c : f.consents) {
        if (c.from.empty() || !is_day(c.from) || !is_day(c.until)) return fail(Code::bad_value, "day");
        consents.push_back({{"purpose", purpose_name(c.purpose)}, {"from", c.from}, {"until", c.until}});
    }
    for (const auto& t : f.taught) taught.push_back({{"movement", t.movement}, {"version", t.version}, {"up_to", t.up_to}});
    const nlohmann::json j{{"alias", f.alias},    {"goals", f.goals},     {"consent", f.consent},           {"language", f.language},
                           {"email", f.email},    {"lengths", f.lengths}, {"balance_step", f.balance_step}, {"taught", taught},
                           {"consents", consents}};
    return write([&] {
        Query q(db_, "INSERT INTO facts(person, body) VALUES(?,?) ON CONFLICT(person) DO UPDATE SET body=excluded.body");
        return q.bind(person).bind(j.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace)).run();
    });
}

Result<PersonNeutral> PeopleStore::neutral(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT neutral FROM person WHERE id=?");
    q.bind(person);
    if (!q.row()) {
        if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
        return PersonNeutral{};
    }
    return parse_neutral(q.text(0));
}

Result<bool> PeopleStore::set_neutral(std::int64_t person, const PersonNeutral& neutral) {
    const auto text = neutral_text(neutral);
    if (const auto again = parse_neutral(text); !again) return tl::unexpected(again.error());
    return together([&]() -> Result<bool> {
        Query q(db_, "UPDATE person SET neutral=? WHERE id=?");
        if (auto ok = q.bind(text).bind(person).run(); !ok) return ok;
        if (sqlite3_changes(db_) == 0) return fail(Code::not_found, "person");
        for (const char* sql : {"DELETE FROM figure WHERE clip IN (SELECT id FROM clip WHERE person=?)",
                                "DELETE FROM figures_of WHERE clip IN (SELECT id FROM clip WHERE person=?)"}) {
            Query figures(db_, sql); // held against something else, other figures
            if (auto ok = figures.bind(person).run(); !ok) return ok;
        }
        return true;
    });
}

Result<bool> PeopleStore::set_keep_until(std::int64_t person, const std::string& day) {
    return write([&] {
        Query q(db_, "UPDATE person SET keep_until=? WHERE id=?");
        return q.bind(day).bind(person).run();
    });
}

} // namespace bevel
