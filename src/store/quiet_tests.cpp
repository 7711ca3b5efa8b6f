// Quiet tests: one row a test, its figures as text.
#include "store/quiet_tests.h"
#include "core/days.h"
#include "store/query.h"
#include "store/stores.h"
#include "store/test_figures.h"
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

using test_json = nlohmann::json;
constexpr std::size_t most_figures = 20, most_notes = 10, most_test_words = 2000;
constexpr double most_value = 1e6;

std::string body_of(const KeptTest& t) {
    return test_json{{"figures", test_figures(t.figures)}, {"notes", t.notes}, {"view", t.view}, {"words", t.words}}.dump(
        -1, ' ', false, test_json::error_handler_t::replace);
}

bool read_body(const std::string& text, KeptTest& t) {
    const auto j = test_json::parse(text, nullptr, false);
    if (!j.is_object() || !j.contains("figures") || !j["figures"].is_array() || j["figures"].size() > most_figures) return false;
    const auto words = [](const test_json& o, const char* key, std::size_t most, std::string& to) {
        if (!o.is_object() || !o.contains(key) || !o[key].is_string() || o[key].get_ref<const std::string&>().size() > most) return false;
        to = o[key];
        return true;
    };
    for (const auto& o : j["figures"]) {
        TestFigure f;
        std::string side;
        if (!words(o, "id", 40, f.id) || !words(o, "unit", 10, f.unit) || !words(o, "side", 10, side)) return false;
        for (const auto& [key, to] : {std::pair{"value", &f.value}, {"sigma", &f.sigma}}) {
            if (!o.contains(key) || !o[key].is_number()) return false;
            *to = o[key];
            if (!std::isfinite(*to) || std::abs(*to) > most_value) return false;
        }
        if (side == "left" || side == "right") f.side = side == "left" ? Side::left : Side::right;
        t.figures.push_back(f);
    }
    if (!j.contains("notes") || !j["notes"].is_array() || j["notes"].size() > most_notes) return false;
    for (const auto& n : j["notes"]) {
        if (!n.is_string()) return false;
        t.notes.push_back(n);
    }
    return words(j, "view", 20, t.view) && words(j, "words", most_test_words, t.words);
}

} // namespace

Result<std::int64_t> QuietTestStore::keep(const KeptTest& t) {
    if (t.day.empty() || !is_day(t.day)) return fail(Code::bad_value, "day");
    if (t.figures.empty()) return fail(Code::bad_value, "figures");
    for (const auto& f : t.figures)
        if (!std::isfinite(f.value) || std::abs(f.value) > most_value || !(f.sigma >= 0) || f.sigma > most_value)
            return fail(Code::bad_value, "figures");
    if (t.figures.size() > most_figures || t.notes.size() > most_notes || t.words.size() > most_test_words)
        return fail(Code::too_large, "test");
    std::int64_t id = t.id;
    const auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO quiet_test(id, person, clip, day, test, body) VALUES(?,?,?,?,?,?) ON CONFLICT(id) DO UPDATE SET "
                     "person=excluded.person, clip=excluded.clip, day=excluded.day, test=excluded.test, body=excluded.body");
        q.reference(id).bind(t.person).reference(t.clip).bind(t.day).bind(std::string(quiet_test_name(t.test))).bind(body_of(t));
        if (auto done = q.run(); !done) return done;
        if (id == 0) id = sqlite3_last_insert_rowid(db_);
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> QuietTestStore::drop(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM quiet_test WHERE id=?");
        return q.bind(id).run();
    });
}

Result<std::vector<KeptTest>> QuietTestStore::of(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, coalesce(clip, 0), day, test, body FROM quiet_test WHERE person=? ORDER BY day, id");
    q.bind(person);
    std::vector<KeptTest> out;
    while (q.row()) {
        KeptTest t;
        t.id = q.integer(0), t.person = person, t.clip = q.integer(1), t.day = q.text(2);
        const auto test = quiet_test_from_name(q.text(3));
        if (!test || !read_body(q.text(4), t)) continue; // one damaged line hides nobody
        t.test = *test;
        out.push_back(std::move(t));
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
