// Places of cameras, and how rooms look.
#include "store/query.h"
#include "store/stores.h"
#include "store/track_blob.h"

namespace bevel {

Result<std::int64_t> PlaceStore::keep(const CameraPlace& p) {
    if (p.name.empty()) return fail(Code::bad_value, "name");
    std::int64_t id = 0;
    auto ok = write([&]() -> Result<bool> {
        Query q(db_, "INSERT INTO camera_place(name, width, height, marks, look) VALUES(?,?,?,?,?) ON CONFLICT(name) DO UPDATE SET "
                     "width=excluded.width, height=excluded.height, marks=excluded.marks, look=excluded.look");
        q.bind(p.name).bind(std::int64_t{p.width}).bind(std::int64_t{p.height}).bind(pack_marks(p.marks)).blob(p.look);
        if (auto done = q.run(); !done) return done;
        Query last(db_, "SELECT id FROM camera_place WHERE name=?");
        last.bind(p.name);
        id = last.row() ? last.integer(0) : 0;
        return true;
    });
    if (!ok) return tl::unexpected(ok.error());
    return id;
}

Result<std::vector<CameraPlace>> PlaceStore::all() const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, name, width, height, marks, look FROM camera_place ORDER BY id DESC");
    std::vector<CameraPlace> out;
    while (q.row()) {
        auto marks = unpack_marks(q.text(4));
        if (!marks) continue; // one that cannot be read is not offered
        out.push_back(
            {q.integer(0), q.text(1), static_cast<int>(q.integer(2)), static_cast<int>(q.integer(3)), std::move(*marks), q.bytes(5)});
    }
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<bool> PlaceStore::set_look(std::int64_t clip, const std::string& look) {
    return write([&] {
        Query q(db_, "UPDATE clip SET look=? WHERE id=?");
        return q.blob(look).bind(clip).run();
    });
}

Result<std::vector<PlaceStore::Look>> PlaceStore::looks(int most) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT id, person, look FROM clip WHERE length(look)>0 ORDER BY arrived_on DESC, id DESC LIMIT ?");
    q.bind(std::int64_t{most});
    std::vector<Look> out;
    while (q.row()) out.push_back({q.integer(0), q.integer(1), q.bytes(2)});
    if (auto ok = q.end(); !ok) return tl::unexpected(ok.error());
    return out;
}

Result<bool> PlaceStore::forget(std::int64_t id) {
    return write([&] {
        Query q(db_, "DELETE FROM camera_place WHERE id=?");
        return q.bind(id).run();
    });
}

} // namespace bevel
