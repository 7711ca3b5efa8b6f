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
    if ((c.person == 0) == (c.group == 0)) return fail(Code::bad_value, "course");
    std::int64_t id = c.id;
    const auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO course(id, person, class, title, wish, weeks) VALUES(?,?,?,?,?,?) ON CONFLICT(id) DO UPDATE SET "
                     "person=excluded.person, class=excluded.class, title=excluded.title, wish=excluded.wish, weeks=excluded.weeks");
        q.reference(id).reference(c.person).reference(c.group).bind(c.title).bind(c.wish).bind(c.weeks);
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
    return listed("person", person);
}
Result<std::vector<KeptCourse>> CourseStore::of_class(std::int64_t group) const {
    return listed("class", group);
}

Result<std::vector<KeptCourse>> CourseStore::listed(const char* owner, std::int64_t id) const {
    const std::lock_guard lock(*mutex_);
    const std::string sql = std::string("SELECT id, person, class, title, wish, weeks FROM course WHERE ") + owner + "=? ORDER BY id DESC";
    Query q(db_, sql.c_str());
    q.bind(id);
    std::vector<KeptCourse> out;
    while (q.row()) out.push_back({q.integer(0), q.integer(1), q.text(3), q.text(4), q.text(5), q.integer(2)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

} // namespace bevel
