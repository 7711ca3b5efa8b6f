#include "store/forms.h"
#include "store/query.h"
#include <algorithm>

namespace bevel {

std::vector<Movement> with_own(const std::vector<Movement>& shipped, const std::vector<OwnForm>& own, std::vector<Error>* problems) {
    std::vector<Movement> out = shipped, more;
    for (const auto& f : own) {
        auto m = parse_movement(f.body);
        if (m && m->id != f.id) m = fail(Code::bad_value, "id '" + m->id + "'");
        if (!m) {
            if (problems) problems->push_back({m.error().code, f.id + ": " + m.error().context});
            continue;
        }
        m->own = true;
        const auto it = std::find_if(out.begin(), out.end(), [&](const Movement& s) { return s.id == f.id; });
        if (it != out.end())
            *it = std::move(*m);
        else
            more.push_back(std::move(*m));
    }
    std::stable_sort(more.begin(), more.end(), [](const Movement& a, const Movement& b) { return a.name < b.name; });
    out.insert(out.end(), more.begin(), more.end());
    return out;
}

Result<std::vector<OwnForm>> Library::own_forms() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, body FROM own_form ORDER BY id");
    std::vector<OwnForm> out;
    while (q.row()) out.push_back({q.text(0), q.text(1)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<bool> Library::keep_form(const OwnForm& f) {
    return write([&] {
        Query q(db_, "INSERT INTO own_form(id, body) VALUES(?,?) ON CONFLICT(id) DO UPDATE SET body=excluded.body");
        return q.bind(f.id).bind(f.body).run();
    });
}

Result<bool> Library::drop_form(const std::string& id) {
    return write([&] {
        Query q(db_, "DELETE FROM own_form WHERE id=?");
        return q.bind(id).run();
    });
}

Result<bool> Library::set_model(const std::string& movement, std::int64_t clip) {
    return write([&] {
        Query q(db_, clip == 0 ? "DELETE FROM model WHERE movement=?1"
                               : "INSERT INTO model(movement, clip) VALUES(?1,?2) ON CONFLICT(movement) DO UPDATE SET clip=excluded.clip");
        q.bind(movement);
        if (clip != 0) q.bind(clip);
        return q.run();
    });
}

std::int64_t Library::model_of(const std::string& movement) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT clip FROM model WHERE movement=?");
    q.bind(movement);
    return q.row() ? q.integer(0) : 0;
}

} // namespace bevel
