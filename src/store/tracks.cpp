// Points of clips, and how well they could be read.
#include "core/plain_number.h"
#include "store/fit_blob.h"
#include "store/query.h"
#include "store/stores.h"
#include "store/sum.h"
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

Result<bool> TrackStore::keep_fit(std::int64_t a, std::int64_t b, const KeptFit& fit) {
    return together([&]() -> Result<bool> {
        for (const auto clip : {a, b}) {
            Query gone(db_, "DELETE FROM at_once WHERE ? IN (first, second)");
            if (auto ok = gone.bind(clip).run(); !ok) return ok;
        }
        Query q(db_, "INSERT INTO at_once(first, second, made_of, why, body) VALUES(?,?,?,?,?)");
        q.bind(std::min(a, b)).bind(std::max(a, b)).bind(fit.made_of).bind(fit.why);
        return q.blob(fit.body ? pack_fit(*fit.body) : std::string()).run();
    });
}

std::string TrackStore::sum_of_points(std::int64_t clip) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT points FROM track WHERE clip=?");
    q.bind(clip);
    if (!q.row()) return {};
    const std::string points = q.bytes(0);
    Sum sum;
    sum.add(points.data(), points.size());
    return sum.hex();
}

Result<std::optional<KeptFit>> TrackStore::fit_of(std::int64_t a, std::int64_t b) const {
    const std::lock_guard lock(*mutex_);
    Query q(db_, "SELECT made_of, why, body FROM at_once WHERE first=? AND second=?");
    q.bind(std::min(a, b)).bind(std::max(a, b));
    if (!q.row()) return std::optional<KeptFit>();
    KeptFit fit{q.text(0), q.text(1), std::nullopt};
    if (!fit.why.empty()) return std::optional(fit);
    auto body = unpack_fit(q.bytes(2));
    if (!body) return std::optional<KeptFit>(); // to be made anew
    fit.body = std::move(*body);
    return std::optional(std::move(fit));
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
