#include "store/forms.h"
#include "store/query.h"
#include <algorithm>
#include <array>

namespace bevel {

namespace {

template <class T, class Parse>
std::vector<T> overlaid(const std::vector<T>& shipped, const std::vector<OwnForm>& own, Parse parse, std::vector<Error>* problems) {
    std::vector<T> out = shipped, more;
    for (const auto& f : own) {
        Result<T> m = parse(f.body);
        if (m && m->id != f.id) m = fail(Code::bad_value, "id '" + m->id + "'");
        if (!m) {
            if (problems) problems->push_back({m.error().code, f.id + ": " + m.error().context});
            continue;
        }
        m->own = true;
        const auto it = std::find_if(out.begin(), out.end(), [&](const T& s) { return s.id == f.id; });
        if (it != out.end())
            *it = std::move(*m);
        else
            more.push_back(std::move(*m));
    }
    std::stable_sort(more.begin(), more.end(), [](const T& a, const T& b) { return a.name < b.name; });
    out.insert(out.end(), more.begin(), more.end());
    return out;
}

/// Statement about the table of movements, schools, templates or plans.
std::string about(Own what, const std::string& before, const std::string& after) {
    static constexpr std::array<const char*, 5> tables{" own_form ", " own_school ", " own_letter ", " own_plan ", " own_linked "};
    return before + tables[static_cast<std::size_t>(what)] + after;
}

} // namespace

std::vector<Movement> with_own(const std::vector<Movement>& shipped, const std::vector<OwnForm>& own, std::vector<Error>* problems) {
    return overlaid(
        shipped, own, [](const std::string& body) { return parse_movement(body); }, problems);
}

std::vector<School> with_own(const std::vector<School>& shipped, const std::vector<OwnForm>& own, std::vector<Error>* problems) {
    return overlaid(
        shipped, own, [](const std::string& body) { return parse_school(body); }, problems);
}

std::vector<LinkedForm> with_own(const std::vector<LinkedForm>& shipped, const std::vector<OwnForm>& own, std::vector<Error>* problems) {
    return overlaid(
        shipped, own, [](const std::string& body) { return parse_form(body); }, problems);
}

Result<std::vector<OwnForm>> FormStore::all(Own what) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, about(what, "SELECT id, body FROM", "ORDER BY id").c_str());
    std::vector<OwnForm> out;
    while (q.row()) out.push_back({q.text(0), q.text(1)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<bool> FormStore::keep(const OwnForm& f, Own what) {
    return write([&] {
        Query q(db_, about(what, "INSERT INTO", "(id, body) VALUES(?,?) ON CONFLICT(id) DO UPDATE SET body=excluded.body").c_str());
        return q.bind(f.id).bind(f.body).run();
    });
}

Result<bool> FormStore::drop(const std::string& id, Own what) {
    return write([&] {
        Query q(db_, about(what, "DELETE FROM", "WHERE id=?").c_str());
        return q.bind(id).run();
    });
}

Result<bool> FormStore::set_model(const std::string& movement, std::int64_t clip) {
    return write([&] {
        Query q(db_, clip == 0 ? "DELETE FROM model WHERE movement=?1"
                               : "INSERT INTO model(movement, clip) VALUES(?1,?2) ON CONFLICT(movement) DO UPDATE SET clip=excluded.clip");
        q.bind(movement);
        if (clip != 0) q.bind(clip);
        return q.run();
    });
}

std::int64_t FormStore::model_of(const std::string& movement) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT clip FROM model WHERE movement=?");
    q.bind(movement);
    return q.row() ? q.integer(0) : 0;
}

} // namespace bevel
