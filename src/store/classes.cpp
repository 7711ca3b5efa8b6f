// Classes and their lessons: what is of a person stands in rows of its own, so that it goes when the person is erased.
#include "core/days.h"
#include "core/practice/plan.h"
#include "store/query.h"
#include "store/stores.h"
#include <array>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

using json = nlohmann::json;
constexpr std::size_t most_words = 4000, most_members = 200;
constexpr std::array<const char*, 6> cared_for{"neck", "low_back", "shoulders", "knees", "wrists", "hips"};

bool is_time(const std::string& t) {
    if (t.empty()) return true;
    const auto digit = [&](std::size_t i) { return t[i] >= '0' && t[i] <= '9'; };
    return t.size() == 5 && digit(0) && digit(1) && t[2] == ':' && digit(3) && digit(4) && t.substr(0, 2) < "24" && t.substr(3) < "60";
}

std::string body_of(const ClassGroup& g) {
    return json{{"name", g.name},       {"hall", g.hall},       {"floor", g.floor}, {"at", g.at},
                {"level", g.level},     {"taught", g.taught},   {"notes", g.notes}, {"chair", g.chair},
                {"weekday", g.weekday}, {"minutes", g.minutes}, {"wall", g.wall},   {"stick", g.stick}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

/// What cannot be read of it stays as it is for a new class.
ClassGroup read_body(std::int64_t id, const std::string& text) {
    ClassGroup g;
    g.id = id;
    const auto j = json::parse(text, nullptr, false);
    if (!j.is_object()) return g;
    const auto words = [&](const char* key, std::string& to) {
        if (j.contains(key) && j[key].is_string() && j[key].get_ref<const std::string&>().size() <= most_words) to = j[key];
    };
    words("name", g.name), words("hall", g.hall), words("floor", g.floor), words("at", g.at), words("level", g.level),
        words("taught", g.taught), words("notes", g.notes);
    const auto whole = [&](const char* key, int low, int high, int& to) {
        if (j.contains(key) && j[key].is_number_integer())
            if (const auto v = j[key].get<std::int64_t>(); v >= low && v <= high) to = static_cast<int>(v);
    };
    whole("weekday", 0, 7, g.weekday), whole("minutes", 4, 180, g.minutes);
    const auto flag = [&](const char* key, bool& to) {
        if (j.contains(key) && j[key].is_boolean()) to = j[key];
    };
    flag("chair", g.chair), flag("wall", g.wall), flag("stick", g.stick);
    if (!is_time(g.at)) g.at.clear();
    return g;
}

std::string today_text(const Today& t) {
    if (t.well()) return {};
    return json{{"dizzy", t.dizzy}, {"unsteady", t.unsteady}, {"tired", t.tired}, {"care", t.care}}.dump();
}

/// What cannot be read of a day asks for care all over: nobody is led on because a line was damaged.
Today read_today(const std::string& text) {
    Today t;
    if (text.empty()) return t;
    const auto j = json::parse(text, nullptr, false);
    bool whole = j.is_object();
    const auto flag = [&](const char* key, bool& to) {
        whole = whole && j.contains(key) && j[key].is_boolean();
        if (whole) to = j[key];
    };
    flag("dizzy", t.dizzy), flag("unsteady", t.unsteady), flag("tired", t.tired);
    whole = whole && j.contains("care") && j["care"].is_array() && j["care"].size() <= cared_for.size();
    if (whole)
        for (const auto& c : j["care"]) {
            whole = whole && c.is_string();
            if (whole) t.care.insert(c.get<std::string>());
        }
    if (!whole) {
        t = {true, true, true, {}};
        t.care.insert(cared_for.begin(), cared_for.end());
    }
    return t;
}

} // namespace

Result<std::vector<ClassGroup>> ClassStore::all() const {
    const std::lock_guard lock(*mutex_);
    std::vector<ClassGroup> out;
    Query q(db_, "SELECT id, body FROM class");
    while (q.row()) out.push_back(read_body(q.integer(0), q.text(1)));
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    for (auto& g : out) {
        Query m(db_, "SELECT person FROM class_member WHERE class=? ORDER BY person");
        m.bind(g.id);
        while (m.row()) g.members.push_back(m.integer(0));
        if (auto ok = m.end(); !ok) return tl::unexpected(ok.error());
    }
    std::sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return std::tie(a.name, a.id) < std::tie(b.name, b.id); });
    return out;
}

Result<std::int64_t> ClassStore::keep(const ClassGroup& g) {
    if (g.name.find_first_not_of(" \t\n") == std::string::npos || g.name.size() > 200) return fail(Code::bad_value, "name");
    if (g.minutes < 4 || g.minutes > 180) return fail(Code::bad_value, "minutes");
    if (g.weekday < 0 || g.weekday > 7) return fail(Code::bad_value, "weekday");
    if (!is_time(g.at)) return fail(Code::bad_value, "at");
    for (const auto* words : {&g.hall, &g.floor, &g.level, &g.taught, &g.notes})
        if (words->size() > most_words) return fail(Code::too_large, "class");
    if (g.members.size() > most_members) return fail(Code::too_large, "class");
    std::int64_t id = g.id;
    const auto ok = together([&]() -> Result<bool> {
        Query q(db_, id == 0 ? "INSERT INTO class(body) VALUES(?)" : "UPDATE class SET body=? WHERE id=?");
        q.bind(body_of(g));
        if (id != 0) q.bind(id);
        if (auto done = q.run(); !done) return done;
        if (id != 0 && sqlite3_changes(db_) == 0) return fail(Code::not_found, "class");
        if (id == 0) id = sqlite3_last_insert_rowid(db_);
        Query out(db_, "DELETE FROM class_member WHERE class=?");
        if (auto done = out.bind(id).run(); !done) return done;
        for (const auto person : g.members) {
            Query in(db_, "INSERT OR IGNORE INTO class_member(class, person) VALUES(?,?)");
            if (auto done = in.bind(id).bind(person).run(); !done) return done;
        }
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> ClassStore::remove(std::int64_t id) {
    return together([&]() -> Result<bool> {
        for (const char* sql :
             {"DELETE FROM lesson_person WHERE lesson IN (SELECT id FROM lesson WHERE class=?)", "DELETE FROM lesson WHERE class=?",
              "DELETE FROM class_member WHERE class=?", "DELETE FROM course WHERE class=?", "DELETE FROM class WHERE id=?"}) {
            Query q(db_, sql);
            if (auto done = q.bind(id).run(); !done) return done;
        }
        return true;
    });
}

Result<std::vector<Lesson>> ClassStore::lessons(std::int64_t group) const {
    const std::lock_guard lock(*mutex_);
    std::vector<Lesson> out;
    Query q(db_, "SELECT id, class, day, plan, held, notes FROM lesson WHERE class=? ORDER BY day DESC, id DESC");
    q.bind(group);
    while (q.row()) {
        Lesson l;
        l.id = q.integer(0), l.group = q.integer(1), l.day = q.text(2), l.plan = q.text(3), l.held = q.integer(4) != 0, l.notes = q.text(5);
        out.push_back(std::move(l));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    for (auto& l : out) {
        Query p(db_, "SELECT person, here, today FROM lesson_person WHERE lesson=? ORDER BY person");
        p.bind(l.id);
        while (p.row()) l.people.push_back({p.integer(0), p.integer(1) != 0, read_today(p.text(2))});
        if (auto ok = p.end(); !ok) return tl::unexpected(ok.error());
    }
    return out;
}

Result<std::int64_t> ClassStore::keep_lesson(const Lesson& l) {
    if (l.day.empty() || !is_day(l.day)) return fail(Code::bad_value, "day");
    if (l.notes.size() > most_words || l.people.size() > most_members || l.plan.size() > (1U << 20U))
        return fail(Code::too_large, "lesson");
    std::int64_t id = 0;
    const auto ok = together([&]() -> Result<bool> {
        Query there(db_, "SELECT count(*) FROM class WHERE id=?");
        there.bind(l.group);
        if (!there.row() || there.integer(0) == 0) return fail(Code::not_found, "class");
        Query q(db_, "INSERT INTO lesson(class, day, plan, held, notes) VALUES(?,?,?,?,?) ON CONFLICT(class, day) DO UPDATE SET "
                     "plan=excluded.plan, held=excluded.held, notes=excluded.notes");
        q.bind(l.group).bind(l.day).bind(l.plan).bind(std::int64_t{l.held ? 1 : 0}).bind(l.notes);
        if (auto done = q.run(); !done) return done;
        Query which(db_, "SELECT id FROM lesson WHERE class=? AND day=?");
        which.bind(l.group).bind(l.day);
        if (!which.row()) return fail(Code::write_failed, "lesson");
        id = which.integer(0);
        Query out(db_, "DELETE FROM lesson_person WHERE lesson=?");
        if (auto done = out.bind(id).run(); !done) return done;
        for (const auto& p : l.people) {
            Query in(db_, "INSERT OR IGNORE INTO lesson_person(lesson, person, here, today) VALUES(?,?,?,?)");
            in.bind(id).bind(p.person).bind(std::int64_t{p.here ? 1 : 0}).bind(today_text(p.today));
            if (auto done = in.run(); !done) return done;
        }
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> ClassStore::drop_lesson(std::int64_t id) {
    return together([&]() -> Result<bool> {
        for (const char* sql : {"DELETE FROM lesson_person WHERE lesson=?", "DELETE FROM lesson WHERE id=?"}) {
            Query q(db_, sql);
            if (auto done = q.bind(id).run(); !done) return done;
        }
        return true;
    });
}

} // namespace bevel
