#include "desk/at_once.h"
#include "desk/open_review.h"
#include "media/clip_sound.h"
#include <algorithm>
#include <cmath>
#include <cstdio>

namespace bevel {
namespace {

constexpr int fit_version = 2; // what is kept by another is made anew

Result<Person> person_of(const Library& library, const Clip& clip) {
    auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    for (auto& p : *people)
        if (p.id == clip.person) {
            if (const auto h = library.people().height_at(p.id, clip.filmed_on.empty() ? clip.arrived_on : clip.filmed_on))
                p.stature_m = *h;
            return p;
        }
    return fail(Code::not_found, "person");
}

/// What a fit of two clips, or of one with itself, rests on, as text: another text is another fit.
std::string made_of(const Library& library, const Clip& a, const Clip& b, const Person& person) {
    const Clip &first = a.id < b.id ? a : b, &second = a.id < b.id ? b : a;
    char rest[80];
    std::snprintf(rest, sizeof rest, " %d %.4f %d %d", fit_version, person.height_said ? person.stature_m : 0.0, first.mirrored ? 1 : 0,
                  second.mirrored ? 1 : 0);
    return library.tracks().sum_of_points(first.id) + " " + library.tracks().sum_of_points(second.id) + rest;
}

double apart_of(const FittedBody& body) {
    if (body.cameras.size() < 2 || body.m.empty()) return 0;
    const Vec3 student = mid(body.m[body.m.size() / 2], left_hip);
    const auto from = [&](const PlacedCamera& c) { return std::atan2(c.at.x() - student.x(), c.at.z() - student.z()); };
    return std::abs(std::remainder(from(body.cameras[1]) - from(body.cameras[0]), 2 * std::numbers::pi)) / deg;
}

std::string day_of(const Clip& c) {
    return c.filmed_on.empty() ? c.arrived_on : c.filmed_on;
}

} // namespace

std::optional<Clocks> heard_together(const Library& library, const Clip& first, const Clip& second, const std::stop_token& stop) {
    const auto a = sound_of_clip(library.clips().path_of(first), stop);
    const auto b = a ? sound_of_clip(library.clips().path_of(second), stop) : a;
    return a && b ? clocks_by_sound(*a, *b) : std::nullopt;
}

std::int64_t heard_with(const Library& library, const Clip& clip, std::int64_t same_take, const std::stop_token& stop) {
    const auto clips = library.clips().all(); // newest first
    if (!clips || clip.is_part() || !library.clips().has_file(clip)) return 0;
    std::optional<SoundTrace> own;
    int compared = 0;
    for (const auto& c : *clips) {
        if (c.id == clip.id || c.id == same_take || c.is_part() || c.file == clip.file || day_of(c) != day_of(clip)) continue;
        if (++compared > sounds_compared) break;
        if (!own) { // only when there is one to be held against
            auto heard = sound_of_clip(library.clips().path_of(clip), stop);
            if (!heard) return 0;
            own = std::move(*heard);
        }
        const auto theirs = sound_of_clip(library.clips().path_of(c), stop);
        if (stop.stop_requested()) return 0;
        if (theirs && clocks_by_sound(*own, *theirs)) return c.id;
    }
    return 0;
}

Result<bool> put_pair_together(Library& library, const Forms& forms, std::int64_t id, const std::stop_token& stop) {
    auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    if (clip->pair == 0) return fail(Code::not_found, "pair");
    auto other = library.clips().get(clip->pair);
    if (!other) return tl::unexpected(other.error());
    const auto person = person_of(library, *clip);
    if (!person) return tl::unexpected(person.error());
    if (clip->id > other->id) std::swap(*clip, *other);
    std::array<Track, 2> tracks;
    for (const auto& [c, track] : {std::pair{&*clip, &tracks[0]}, {&*other, &tracks[1]}}) {
        auto t = library.tracks().load(c->id);
        if (!t) return tl::unexpected(t.error());
        t->layers.mirrored = c->mirrored;
        *track = std::move(*t);
    }
    KeptFit fit;
    fit.made_of = made_of(library, *clip, *other, *person);
    MotionOptions options = motion_options(review_options(forms, *clip, *person));
    options.errors = false;
    const auto heard = heard_together(library, *clip, *other, stop);
    auto both = put_together(tracks[0], tracks[1], options, 60, stop, heard);
    if (!both && both.error().code != Code::cannot_judge) return tl::unexpected(both.error());
    if (both)
        fit.body = std::move(both->body);
    else
        fit.why = both.error().context;
    // Whoever changed the points or parted them meanwhile is asked again.
    const auto now = library.clips().get(clip->id);
    if (!now || now->pair != other->id || fit.made_of != made_of(library, *clip, *other, *person)) return fail(Code::cancelled, "");
    if (auto ok = library.tracks().keep_fit(clip->id, other->id, fit); !ok) return ok;
    return fit.body.has_value();
}

KeptTogether kept_together(const Library& library, const Clip& clip, const Person& person) {
    KeptTogether out;
    if (clip.pair == 0) return out;
    const auto other = library.clips().get(clip.pair);
    const auto kept = library.tracks().fit_of(clip.id, clip.pair);
    if (!other || !kept || !*kept || (*kept)->made_of != made_of(library, clip, *other, person)) return out;
    out.how.tried = true;
    out.how.why = (*kept)->why;
    if (!(*kept)->body) return out;
    out.body = std::move((*kept)->body);
    out.how.together = true;
    out.how.sigma_s = out.body->offset_sigma_s;
    out.how.left_over = out.body->misfit;
    out.how.apart_deg = apart_of(*out.body);
    // t of the second is t + offset of the first, which has the lower id.
    out.how.ahead_s = clip.id < clip.pair ? -out.body->offset_s : out.body->offset_s;
    if (clip.id > clip.pair)
        for (double& t : out.body->time_s) t -= out.body->offset_s;
    return out;
}

KeptAlone kept_alone(const Library& library, const Clip& clip, const Person& person) {
    KeptAlone out;
    if (clip.pair != 0) return out;
    auto kept = library.tracks().fit_of(clip.id, clip.id);
    if (!kept || !*kept || (*kept)->made_of != made_of(library, clip, clip, person)) return out;
    out.tried = true;
    out.body = std::move((*kept)->body);
    return out;
}

Result<bool> fit_clip(Library& library, const Forms& forms, std::int64_t id, const std::stop_token& stop) {
    const auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    if (clip->pair != 0) return fail(Code::bad_value, "pair");
    const auto person = person_of(library, *clip);
    if (!person) return tl::unexpected(person.error());
    auto track = library.tracks().load(id);
    if (!track) return tl::unexpected(track.error());
    track->layers.mirrored = clip->mirrored;
    KeptFit fit;
    fit.made_of = made_of(library, *clip, *clip, *person);
    auto body = fit_alone(*track, motion_options(review_options(forms, *clip, *person)), stop);
    if (!body && body.error().code != Code::cannot_judge) return tl::unexpected(body.error());
    if (body)
        fit.body = std::move(*body);
    else
        fit.why = body.error().context;
    // Whoever changed the points or paired it meanwhile is asked again.
    const auto now = library.clips().get(id);
    if (!now || now->pair != 0 || fit.made_of != made_of(library, *now, *now, *person)) return fail(Code::cancelled, "");
    if (auto ok = library.tracks().keep_fit(id, id, fit); !ok) return ok;
    return fit.body.has_value();
}

Result<std::shared_ptr<const Review>> review_filled(const FittedBody& body, const Review& alone, const Movement& movement,
                                                    const ReviewOptions& options) {
    const auto fitted = motion_of(body, alone.motion, motion_options(options));
    if (!fitted) return tl::unexpected(fitted.error());
    return make_review(filled_from(*fitted, alone, options.sex), movement, options);
}

double share_shown(const FittedBody& body, const Motion& alone) {
    if (body.time_s.empty()) return 0;
    double seen = 0, shown = 0;
    for (std::size_t i = 0; i < alone.frames(); ++i)
        if (alone.valid[i]) {
            seen += 1;
            shown += alone.time_s[i] >= body.time_s.front() && alone.time_s[i] <= body.time_s.back() ? 1 : 0;
        }
    return seen > 0 ? shown / seen : 0;
}

Result<std::shared_ptr<const Review>> review_in_room(const FittedBody& body, const Review& alone, const Movement& movement,
                                                     const ReviewOptions& options) {
    auto room = motion_of(body, alone.motion, motion_options(options));
    if (!room) return tl::unexpected(room.error());
    return make_review(surest_of(std::move(*room), alone, options.sex), movement, options);
}

} // namespace bevel
