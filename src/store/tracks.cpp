// Points of clips, and how well they could be read.
#include "core/plain_number.h"
#include "store/query.h"
#include "store/stores.h"
#include "store/track_blob.h"

namespace bevel {

Result<bool> forget_figures(sqlite3* db, std::int64_t clip) {
    for (const char* sql :
         {"DELETE FROM figure WHERE clip=?", "DELETE FROM figures_of WHERE clip=?", "UPDATE clip SET which='' WHERE id=?"}) {
        Query q(db, sql);
        if (auto ok = q.bind(clip).run(); !ok) return ok;
    }
    return true;
}

Result<bool> TrackStore::save_quality(std::int64_t clip, const ClipQuality& c) {
    return write([&] {
        Query q(db_, "INSERT OR REPLACE INTO quality(clip, found, frames_per_s, vertical_seen, neutral_seen, limits) VALUES(?,?,?,?,?,?)");
        q.bind(clip).bind(c.found).bind(c.frames_per_s).bind(std::int64_t{c.vertical_seen}).bind(std::int64_t{c.neutral_seen});
        return q.bind(limits_json(c.limits)).run();
    });
}

Result<bool> TrackStore::save(std::int64_t clip, const Track& track) {
    return write([&]() -> Result<bool> {
        // An older library gets its tracks renewed before it has figures.
        (void)forget_figures(db_, clip);
        Query q(db_, "INSERT INTO track(clip, points) VALUES(?,?) ON CONFLICT(clip) DO UPDATE SET points=excluded.points");
        return q.bind(clip).blob(pack_track(track)).run();
    });
}

Result<bool> TrackStore::save_unfinished(std::int64_t clip, const Track& so_far, std::size_t done) {
    return write([&] {
        Query q(db_, "INSERT OR REPLACE INTO unfinished(clip, done, points) VALUES(?,?,?)");
        return q.bind(clip).bind(static_cast<std::int64_t>(done)).blob(pack_track(so_far)).run();
    });
}

Result<std::optional<Unfinished>> TrackStore::unfinished(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT done, points FROM unfinished WHERE clip=?");
    q.bind(clip);
    if (!q.row()) return std::optional<Unfinished>();
    auto track = unpack_track(q.bytes(1));
    if (!track || q.integer(0) < 0 || static_cast<std::size_t>(q.integer(0)) > track->frames()) return std::optional<Unfinished>();
    return std::optional(Unfinished{std::move(*track), static_cast<std::size_t>(q.integer(0))});
}

Result<bool> TrackStore::forget_unfinished(std::int64_t clip) {
    return write([&] {
        Query q(db_, "DELETE FROM unfinished WHERE clip=?");
        return q.bind(clip).run();
    });
}

Result<Track> TrackStore::load(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT points FROM track WHERE clip=?");
    q.bind(clip);
    if (!q.row()) return fail(Code::not_found, "track");
    return unpack_track(q.bytes(0));
}

Result<bool> TrackStore::begin_attempt(std::int64_t clip) {
    return settings().set("attempt", std::to_string(clip) + " " + std::to_string(attempts(clip) + 1));
}

Result<bool> TrackStore::end_attempt(std::int64_t clip) {
    return attempts(clip) > 0 ? settings().set("attempt", "") : Result<bool>(true);
}

int TrackStore::attempts(std::int64_t clip) const {
    const std::string now = settings().get("attempt");
    const auto gap = now.find(' ');
    if (gap == std::string::npos || now.substr(0, gap) != std::to_string(clip)) return 0;
    return static_cast<int>(plain_number(now.substr(gap + 1)).value_or(0));
}

} // namespace bevel
