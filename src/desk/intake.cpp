#include "desk/intake.h"
#include "core/days.h"
#include "core/form/form_review.h"
#include "desk/open_review.h"
#include "media/clip.h"
#include "media/steady.h"
#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>
#include <sstream>
#include <sys/stat.h>

namespace bevel {
namespace {

/// The person of the form: a new one, or their name and the height of that day.
Result<std::int64_t> keep_person(Library& library, const Person& person, const std::string& day) {
    if (person.id == 0) { // done again after it was undone, they are there already
        const auto people = library.people().all();
        if (!people) return tl::unexpected(people.error());
        for (const auto& p : *people)
            if (p.name == person.name) return p.id;
        return library.people().add(person, day);
    }
    auto ok = library.together([&]() -> Result<bool> {
        if (auto done = library.people().update(person); !done) return done;
        if (!person.height_said) return true;
        const auto h = library.people().height_at(person.id, day);
        if (h && std::abs(*h - person.stature_m) < 0.004) return true;
        return library.people().set_height(person.id, day, person.stature_m);
    });
    if (!ok) return tl::unexpected(ok.error());
    return person.id;
}

/// A camera that trembles or wanders is held against the background; where that cannot be, the clip stays as it is and says so.
void take_out_shake(const std::filesystem::path& file, TrackResult& found, const std::stop_token& stop) {
    const auto before = limits_of(found.track, found.scene, nullptr);
    const bool shaken = std::any_of(before.begin(), before.end(),
                                    [](const Limit& l) { return l.kind == LimitKind::shaky || l.kind == LimitKind::wandering; });
    if (!shaken) return;
    auto steady = steady_clip(file, found.track, stop);
    if (!steady) return;
    found.track.layers.steady = std::move(steady->frames);
    for (auto& s : found.scene) s.shift = Vec2::Zero(); // what is left is in the errors of the points
}
} // namespace

Result<Listed> list_clips(const Library& library, const ClipQuery& query) {
    auto clips = library.clips().find(query);
    if (!clips) return tl::unexpected(clips.error());
    auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    Listed l;
    std::map<std::int64_t, const Person*> by_id;
    for (const auto& p : *people) by_id[p.id] = &p;
    for (auto& c : *clips) {
        ClipRow row{c, {}};
        if (const auto it = by_id.find(c.person); it != by_id.end()) row.person = *it->second;
        l.rows.push_back(std::move(row));
    }
    l.all = library.clips().count();
    l.people = std::move(*people);
    return l;
}

Result<Taken> take_in(Library& library, const std::filesystem::path& file, bool even_if_same, bool mirrored, const std::stop_token& stop,
                      const std::function<void(double)>& progress) {
    Clip clip;
    {
        auto reader = ClipReader::open(file, stop);
        if (!reader) return tl::unexpected(reader.error());
        clip.filmed_on = reader->info().made_on;
    }
    if (!even_if_same) {
        const auto same = library.clips().same_file(file);
        if (!same) return tl::unexpected(same.error());
        if (*same) return Taken{0, **same};
    }
    struct stat info {};
    if (clip.filmed_on.empty() && ::stat(file.c_str(), &info) == 0) clip.filmed_on = day_of(info.st_mtime);
    clip.arrived_on = today();
    clip.mirrored = mirrored;
    const auto added = library.clips().add(clip, file, stop, progress);
    if (!added) return tl::unexpected(added.error());
    return Taken{*added, std::nullopt};
}

/// What a person says a clip shows need not compete.
Result<Competed> competed(const Forms& forms, const Clip& clip, const Track& track, const Movement& movement, ReviewOptions options,
                          const std::stop_token& stop) {
    if (const auto form = forms.form(clip.movement)) { // its parts are held against each other
        const auto whole = make_form_review(track, *form, *forms.movements, options);
        if (!whole) return tl::unexpected(whole.error());
        return Competed{(*whole)->review, {}};
    }
    if (clip.as_named == clip.movement) {
        auto plain = make_review(track, movement, options);
        if (!plain) return tl::unexpected(plain.error());
        return Competed{*plain, {}};
    }
    return make_review_among(track, movement, *forms.movements, std::move(options), stop);
}

/// From the first time it is judged on, a clip shows the version that was taught then.
Result<bool> keep_version(Library& library, Clip& clip, const Taught& taught) {
    if (clip.version || clip.movement.empty()) return true;
    clip.version = taught.version;
    return library.clips().set_facts(clip);
}

Result<Looked> judge_clip(Library& library, const Forms& forms, const Person& person, Clip clip) {
    const auto id = keep_person(library, person, clip.filmed_on);
    if (!id) return tl::unexpected(id.error());
    clip.person = *id;
    if (auto ok = library.clips().set_facts(clip); !ok) return tl::unexpected(ok.error());
    if (const auto now = library.clips().get(clip.id); now && now->pair != clip.pair) {
        if (auto ok = library.clips().part(clip.id); !ok) return tl::unexpected(ok.error());
        if (clip.pair != 0)
            if (auto ok = library.clips().pair(clip.id, clip.pair); !ok) return tl::unexpected(ok.error());
    }
    const auto track = library.tracks().load(clip.id);
    const Taught taught = taught_of(library, clip);
    const auto movement = forms.movement(clip.movement, taught.version);
    if (!track || !movement) {
        if (auto ok = library.clips().set_state(clip.id, ClipState::waiting, ""); !ok) return tl::unexpected(ok.error());
        return Looked{Looked::What::waits, {}};
    }
    const auto agreements = library.decisions().agreements_for(clip);
    if (!agreements) return tl::unexpected(agreements.error());
    const auto review =
        competed(forms, clip, *track, *movement,
                 review_options(forms, clip, person, *agreements, taught, library.records().condition(clip.id).value_or(Condition{})), {});
    if (auto ok = keep_version(library, clip, taught); !ok) return tl::unexpected(ok.error());
    Found what;
    what.track = &*track;
    if (review) {
        what.review = review->review.get();
        what.better = review->better;
    } else {
        what.error = review.error();
    }
    auto kept = keep_found(library, clip, what);
    if (!kept) return tl::unexpected(kept.error());
    return review ? Looked{Looked::What::ready, {}} : Looked{Looked::What::refused, review.error()};
}

std::vector<std::int64_t> people_named(const std::vector<Person>& people, const std::string& lines) {
    const auto plain = [](const std::string& name) { // one blank between words, small letters
        std::string out;
        for (const char c : name) {
            const bool blank = c == ' ' || c == '\t' || c == '\r';
            if (blank && (out.empty() || out.back() == ' ')) continue;
            out += blank ? ' ' : static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        }
        while (!out.empty() && out.back() == ' ') out.pop_back();
        return out;
    };
    std::vector<std::int64_t> out;
    std::istringstream in(lines);
    for (std::string line; std::getline(in, line);) {
        const std::string name = plain(line);
        if (name.empty()) continue;
        std::vector<std::int64_t> whole, first;
        for (const auto& p : people) {
            const std::string own = plain(p.name);
            if (own == name) whole.push_back(p.id);
            if (own.substr(0, own.find(' ')) == name) first.push_back(p.id);
        }
        out.push_back(whole.size() == 1 ? whole.front() : whole.empty() && first.size() == 1 ? first.front() : 0);
    }
    return out;
}

Result<std::vector<std::int64_t>> cut_into(Library& library, const Forms& forms, std::int64_t id, const std::vector<CutPart>& parts) {
    std::vector<ClipPart> spans;
    for (const auto& p : parts) spans.push_back({p.from_s, p.to_s});
    auto ids = library.clips().cut(id, spans);
    if (!ids) return ids;
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    for (std::size_t i = 0; i < ids->size(); ++i) {
        auto clip = library.clips().get((*ids)[i]);
        auto track = library.tracks().load((*ids)[i]);
        if (!clip || !track) return tl::unexpected(clip ? track.error() : clip.error());
        if (!parts[i].movement.empty()) clip->movement = parts[i].movement;
        if (parts[i].person != 0) clip->person = parts[i].person;
        const auto movement = forms.movement(clip->movement);
        Person person;
        for (const auto& p : *people)
            if (p.id == clip->person) person = p;
        if (person.id != 0 && movement) {
            if (auto ok = judge_clip(library, forms, person, *clip); !ok) return tl::unexpected(ok.error());
            continue;
        }
        auto guess = guess_clip(library, *clip, *track, *forms.movements, *forms.linked);
        if (!guess) return tl::unexpected(guess.error());
        // What was chosen for the part is sure.
        if (!parts[i].movement.empty()) guess->movements = {{.movement = parts[i].movement, .probability = 1}};
        if (clip->person != 0) {
            guess->people = {{clip->person, 1}};
            if (auto ok = library.clips().set_facts(*clip); !ok) return tl::unexpected(ok.error());
        }
        auto limits = clip->quality ? clip->quality->limits : std::vector<Limit>();
        std::erase_if(limits, [&](const Limit& l) { return l.to_s <= parts[i].from_s || l.from_s >= parts[i].to_s; });
        if (auto ok = keep_asked(library, *clip, *track, std::move(limits), *guess); !ok) return tl::unexpected(ok.error());
    }
    return ids;
}

namespace {
/// Asked about with what it tells of itself; a person may have set a body on too few frames for that to be anything.
Result<Clip> ask_about(Library& library, const Forms& forms, const Clip& clip, const Track& track, const std::stop_token& stop = {}) {
    const auto guess = guess_clip(library, clip, track, *forms.movements, *forms.linked, stop);
    if (!guess) return tl::unexpected(guess.error());
    return keep_asked(library, clip, track, {}, *guess);
}
} // namespace

Result<bool> begin_by_hand(Library& library, const Forms& forms, std::int64_t id, const std::stop_token& stop) {
    const auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    if (library.tracks().load(id)) return true;
    const auto made = track_without_body(library.clips().path_of(*clip), stop);
    if (!made) return tl::unexpected(made.error());
    (void)library.places().set_look(id, made->look);
    if (clip->person == 0 || !forms.movement(clip->movement))
        return ask_about(library, forms, *clip, made->track, stop).map([](const Clip&) { return true; });
    Found what;
    what.track = &made->track;
    what.error = {Code::cannot_judge, "no_body"};
    return keep_found(library, *clip, what).map([](const Clip&) { return true; });
}

Result<Looked> look_again(Library& library, const Forms& forms, std::int64_t id) {
    const auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    for (const auto& p : *people)
        if (p.id == clip->person && forms.movement(clip->movement)) return judge_clip(library, forms, p, *clip);
    const auto track = library.tracks().load(id);
    if (!track) return tl::unexpected(track.error());
    return ask_about(library, forms, *clip, *track).map([](const Clip&) { return Looked{Looked::What::asked, {}}; });
}

std::optional<Error> find_body(Library& library, const std::function<Forms()>& forms_now, FindOrder order, const std::stop_token& stop) {
    if (const auto had = library.tracks().unfinished(order.clip.id); had && *had) {
        order.options.so_far = (*had)->track;
        order.options.done = (*had)->done;
    }
    order.options.checkpoint = [&](const Track& so_far, std::size_t done) {
        (void)library.tracks().save_unfinished(order.clip.id, so_far, done);
    };
    auto found = track_clip(library.clips().path_of(order.clip), order.options, stop);
    Error error = found ? Error{} : found.error();
    const Forms forms = forms_now(); // it took a while: what was edited meanwhile counts
    std::shared_ptr<const Review> review;
    std::optional<std::vector<Elsewhere>> better;
    std::vector<Limit> limits;
    if (found) (void)library.places().set_look(order.clip.id, found->look);
    if (found) take_out_shake(library.clips().path_of(order.clip), *found, stop);
    if (found) limits = limits_of(found->track, found->scene, order.movement ? &*order.movement : nullptr);
    // Facts of the clip may have been said or changed meanwhile.
    if (const auto now = library.clips().get(order.clip.id)) {
        const bool said_now = now->person != 0 && forms.movement(now->movement);
        if (found && !said_now) {
            const auto guess = guess_clip(library, *now, found->track, *forms.movements, *forms.linked, stop);
            if (!guess && guess.error().code == Code::cancelled) { // as if it had been stopped before: it can be gone on with
                Found what;
                what.error = guess.error();
                (void)keep_found(library, *now, what);
            }
            if (!guess) return guess.error();
            const auto kept = keep_asked(library, *now, found->track, std::move(limits), *guess);
            return kept ? std::nullopt : std::optional(kept.error());
        }
        if (found && order.clip.person != now->person) {
            if (const auto people = library.people().all())
                for (const auto& p : *people)
                    if (p.id == now->person) order.person = p;
        }
        if (found && said_now) order.movement = *forms.movement(now->movement, taught_of(library, *now).version);
        order.clip = *now;
    }
    if (found && order.movement) { // say early if the clip cannot be judged
        const auto agreements = library.decisions().agreements_for(order.clip);
        const Taught taught = taught_of(library, order.clip);
        (void)keep_version(library, order.clip, taught);
        auto made = competed(forms, order.clip, found->track, *order.movement,
                             review_options(forms, order.clip, order.person, agreements ? *agreements : std::vector<Agreement>{}, taught,
                                            library.records().condition(order.clip.id).value_or(Condition{})),
                             stop);
        if (made) {
            review = made->review;
            if (!stop.stop_requested()) better = std::move(made->better); // a competition that was stopped is none
        } else {
            error = made.error();
        }
    }
    const auto now = library.clips().get(order.clip.id);
    if (!now) return {}; // deleted meanwhile
    Found what;
    what.track = found ? &found->track : nullptr;
    what.review = review.get();
    what.error = error;
    what.limits = std::move(limits);
    what.better = std::move(better);
    auto kept = keep_found(library, *now, what);
    if (!kept) return kept.error();
    // The other clip of its pair may show the same performance at once; a review finds that out too, should this be stopped.
    if (review && !stop.stop_requested()) {
        if (now->pair != 0)
            (void)put_pair_together(library, forms, now->id, stop);
        else if (const double soon_s = 120; // a longer one when its review is opened: others wait to be found
                 seen_obliquely(review->motion) && review->motion.time_s.back() < soon_s && !forms.form(now->movement))
            (void)fit_clip(library, forms, now->id, stop);
    }
    if (found)
        if (const auto same = sent_before(library, *now, found->track)) {
            ClipGuess guess;
            guess.same_take = same;
            (void)library.clips().set_guess(now->id, guess_json(guess));
        }
    return review ? std::nullopt : std::optional(error);
}

} // namespace bevel
