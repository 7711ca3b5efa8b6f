// Courses: one row each.
#include "store/courses.h"
#include "store/query.h"
#include "store/stores.h"

namespace bevel {
namespace {
constexpr std::size_t most_course_title = 400, most_course_text = 2U << 20U;
}

Result<std::int64_t> CourseStore::keep(const KeptCourse& c) {
    if (c.title.size() > most_course_title) return fail(Code::too_large, "title");
    if (c.wish.size() > most_course_text || c.weeks.size() > most_course_text) return fail(Code::too_large, "course");
    std::int64_t id = c.id;
    const auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO course(id, person, title, wish, weeks) VALUES(?,?,?,?,?) ON CONFLICT(id) DO UPDATE SET "
                     "person=excluded.person, title=excluded.title, wish=excluded.wish, weeks=excluded.weeks");
        q.reference(id).bind(c.person).bind(c.title).bind(c.wish).bind(c.weeks);
        if (auto done = q.run(); !done) return done;
        if (id == 0) id = sqlite3_last_insert_rowid(db_);
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<bool> CourseStore::drop(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM course WHERE id=?");
        return q.bind(id).run();
    });
}

Result<std::vector<KeptCourse>> CourseStore::of(std::int64_t person) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, title, wish, weeks FROM course WHERE person=? ORDER BY id DESC");
    q.bind(person);
    std::vector<KeptCourse> out;
    while (q.row()) out.push_back({q.integer(0), person, q.text(1), q.text(2), q.text(3)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
