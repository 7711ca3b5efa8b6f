#include "ui/arrivals/taking_in.h"
#include "media/clip.h"
#include "store/intake.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

/// The person of the form: a new one, or their name and the height of that day.
Result<std::int64_t> keep_person(Library& library, const Person& person, const std::string& day) {
    if (person.id == 0) { // done again after it was undone, they are there already
        const auto people = library.people();
        if (!people) return tl::unexpected(people.error());
        for (const auto& p : *people)
            if (p.name == person.name) return p.id;
        return library.add_person(person, day);
    }
    auto ok = library.together([&]() -> Result<bool> {
        if (auto done = library.update_person(person); !done) return done;
        const auto h = library.height_at(person.id, day);
        if (h && std::abs(*h - person.stature_m) < 0.004) return true;
        return library.set_height(person.id, day, person.stature_m);
    });
    if (!ok) return tl::unexpected(ok.error());
    return person.id;
}

} // namespace

Result<Listed> list(const Library& library) {
    auto clips = library.clips();
    if (!clips) return tl::unexpected(clips.error());
    auto people = library.people();
    if (!people) return tl::unexpected(people.error());
    Listed l;
    for (auto& c : *clips)
        for (const auto& p : *people)
            if (p.id == c.person) l.rows.push_back({c, p});
    l.people = std::move(*people);
    return l;
}

Result<Taken> take(Library& library, const Person& person, Clip clip, const std::filesystem::path& file, bool even_if_same,
                   const std::stop_token& stop, const std::function<void(double)>& progress) {
    if (auto reader = ClipReader::open(file); !reader) return tl::unexpected(reader.error());
    if (!even_if_same) {
        const auto same = library.same_file(file);
        if (!same) return tl::unexpected(same.error());
        if (*same) return Taken{**same};
    }
    const auto id = keep_person(library, person, clip.filmed_on);
    if (!id) return tl::unexpected(id.error());
    clip.person = *id;
    if (auto added = library.add_clip(clip, file, stop, progress); !added) {
        if (person.id == 0) (void)library.erase_person(*id); // nobody is left behind without a clip
        return tl::unexpected(added.error());
    }
    return Taken{};
}

Result<QString> judge(Library& library, const Session& session, const Person& person, Clip clip) {
    const auto id = keep_person(library, person, clip.filmed_on);
    if (!id) return tl::unexpected(id.error());
    clip.person = *id;
    if (auto ok = library.set_clip_facts(clip); !ok) return tl::unexpected(ok.error());
    const auto track = library.load_track(clip.id);
    const Movement* movement = session.movement(clip.movement);
    if (!track || !movement) {
        if (auto ok = library.set_clip_state(clip.id, ClipState::waiting, ""); !ok) return tl::unexpected(ok.error());
        return QString();
    }
    const auto agreements = library.agreements_for(clip);
    if (!agreements) return tl::unexpected(agreements.error());
    const auto review = make_review(*track, *movement, review_options(session, clip, person, *agreements));
    auto kept = keep_found(library, clip, {&*track, review ? review->get() : nullptr, review ? Error{} : review.error()});
    if (!kept) return tl::unexpected(kept.error());
    return review ? QCoreApplication::translate("arrivals", "Judged again. The review is ready.") : text::error(review.error());
}

QString find_body(Library& library, const Session& session, FindOrder order, const std::stop_token& stop) {
    if (const auto had = library.unfinished(order.clip.id); had && *had) {
        order.options.so_far = (*had)->track;
        order.options.done = (*had)->done;
    }
    order.options.checkpoint = [&](const Track& so_far, std::size_t done) { (void)library.save_unfinished(order.clip.id, so_far, done); };
    auto found = track_clip(library.path_of(order.clip), order.options, stop);
    Error error = found ? Error{} : found.error();
    std::shared_ptr<const Review> review;
    if (found && order.movement) { // say early if the clip cannot be judged
        const auto agreements = library.agreements_for(order.clip);
        if (auto made = make_review(found->track, *order.movement,
                                    review_options(session, order.clip, order.person, agreements ? *agreements : std::vector<Agreement>{})))
            review = *made;
        else
            error = made.error();
    } else if (found) {
        error = {Code::not_found, order.clip.movement};
    }
    // Facts of the clip may have been changed meanwhile: they are not written back.
    const auto now = library.clip(order.clip.id);
    if (!now) return {}; // deleted meanwhile
    auto kept = keep_found(library, *now, {found ? &found->track : nullptr, review.get(), error});
    if (!kept) return text::error(kept.error());
    return review ? QString() : text::error(error);
}

} // namespace bevel::ui
