#include "cli/args.h"
#include "cli/commands.h"
#include "cli/demo_scene.h"
#include "media/tracker.h"
#include "store/intake.h"
#include <cstdio>
#include <unistd.h>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

std::string side_word(const Finding& f) {
    return !f.side ? "" : *f.side == Side::left ? "left" : "right";
}
std::string key_of(const Finding& f) {
    return f.key() + "/" + side_word(f);
}

Result<bool> film(const SceneClip& c, const Movement& movement, const fs::path& file) {
    const auto options = scene_take(c);
    const sim::Take take(movement, options);
    auto writer = ClipWriter::create(file, options.phone.width, options.phone.height, options.phone.fps, 27);
    if (!writer) return tl::unexpected(writer.error());
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return ok;
    return writer->finish();
}

/// What an instructor might do with the review: up to three of what is outside kept, the rest set aside, and the letter drafted.
Result<bool> decide(Library& library, const Clip& clip, const Review& review, const std::string& name) {
    LetterRecord letter;
    letter.clip = clip.id;
    letter.signed_by = "Maren Oduya";
    letter.place = "Lantern Quay";
    letter.opening = "Dear " + name.substr(0, name.find(' ')) + ", thank you for your clip.";
    letter.closing = "Take one of these at a time. Warm wishes,";
    for (const auto& f : review.findings) {
        if (f.verdict == Verdict::inside && f.sure && letter.praise.empty() && !f.good.empty()) letter.praise = key_of(f);
        if (f.verdict != Verdict::outside) continue;
        const bool keep = letter.checks.size() < 3;
        if (auto ok = library.save_decision(clip.id, {f.key(), side_word(f), keep ? Choice::kept : Choice::set_aside, "", ""}); !ok)
            return ok;
        if (keep) letter.checks.push_back(key_of(f));
    }
    if (auto ok = library.save_letter(letter); !ok) return tl::unexpected(ok.error());
    return true;
}

class Scene {
public:
    Scene(Library& library, const Environment& env, fs::path studio)
        : library_(library), env_(env), studio_(std::move(studio)), movements_(load_movements(find_data_dir(env.program))) {}

    Result<bool> run() {
        if (auto ok = library_.set_setting("signed_by", "Maren Oduya"); !ok) return ok;
        if (auto ok = library_.set_setting("place", "Lantern Quay"); !ok) return ok;
        for (const auto& s : scene_students()) {
            auto id = library_.add_person({0, s.name, s.stature_m, s.notes, 0});
            if (!id) return tl::unexpected(id.error());
            people_.push_back(*id);
        }
        for (const auto& c : scene_clips()) {
            if (env_.stop.stop_requested()) return fail(Code::cancelled, "");
            if (auto ok = take_in(c); !ok) return ok;
        }
        return library_.compact();
    }

private:
    Result<bool> take_in(const SceneClip& c) {
        const auto m = std::find_if(movements_.begin(), movements_.end(), [&](const Movement& x) { return x.id == c.movement; });
        if (m == movements_.end()) return fail(Code::not_found, c.movement);
        const fs::path file = studio_ / (std::string(c.file) + ".mp4");
        std::error_code ec;
        if (!fs::exists(file, ec))
            if (auto ok = film(c, *m, file); !ok) return ok;
        std::printf("%s %.1f MB\n", c.file, static_cast<double>(fs::file_size(file, ec)) / 1e6);
        std::fflush(stdout);
        Clip clip;
        clip.person = people_[static_cast<std::size_t>(c.student)];
        clip.movement = c.movement;
        clip.view = c.view;
        clip.filmed_on = clip.arrived_on = c.date;
        auto id = library_.add_clip(clip, file);
        if (!id) return tl::unexpected(id.error());
        if (c.then == SceneClip::Then::waiting) return true;
        auto recorded = library_.clip(*id);
        if (!recorded) return tl::unexpected(recorded.error());
        return look_at(c, *m, *recorded);
    }

    /// The very path of a real clip.
    Result<bool> look_at(const SceneClip& c, const Movement& movement, const Clip& clip) {
        TrackOptions o;
        o.model_dir = find_model_dir(env_.program);
        auto found = track_clip(library_.path_of(clip), o, env_.stop);
        if (!found) return tl::unexpected(found.error());
        const auto& student = scene_students()[static_cast<std::size_t>(c.student)];
        ReviewOptions ro;
        ro.view = view_from_name(c.view);
        ro.stature_m = student.stature_m;
        auto review = make_review(found->track, movement, ro);
        if (!review) return tl::unexpected(review.error());
        Found what;
        what.track = &found->track;
        what.review = review->get();
        what.limits = limits_of(found->track, found->scene, &(*review)->movement);
        auto kept = keep_found(library_, clip, what);
        if (!kept) return tl::unexpected(kept.error());
        if (c.then != SceneClip::Then::reviewed) return true;
        if (auto ok = decide(library_, *kept, **review, student.name); !ok) return ok;
        return library_.set_clip_state(kept->id, ClipState::reviewed, "");
    }

    Library& library_;
    const Environment& env_;
    fs::path studio_;
    std::vector<Movement> movements_;
    std::vector<std::int64_t> people_;
};

} // namespace

int demo(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"--make", "--clips"});
    if (!args) return complain(args.error());
    const auto folder = args->text("--make");
    if (!folder) return wrong_use("demo takes --make FOLDER [--clips FOLDER]");
    if (fs::exists(fs::path(*folder) / "library.sqlite")) return wrong_use("there is a library in " + *folder + " already");
    auto library = Library::open(*folder);
    if (!library) return complain(library.error());
    // Clips filmed before may be given, so that only what comes after filming is done anew.
    const auto clips = args->text("--clips");
    const fs::path studio = clips ? fs::path(*clips) : fs::temp_directory_path() / ("bevel-scene-" + std::to_string(::getpid()));
    std::error_code ec;
    fs::create_directories(studio, ec);
    const auto ok = Scene(*library, env, studio).run();
    if (!clips) fs::remove_all(studio, ec);
    return ok ? 0 : complain(ok.error());
}

} // namespace bevel::cli
