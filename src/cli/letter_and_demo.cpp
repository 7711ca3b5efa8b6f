#include "cli/args.h"
#include "cli/commands.h"
#include "cli/demo_scene.h"
#include "core/review/points_csv.h"
#include "core/review/review.h"
#include "media/tracker.h"
#include "store/library.h"
#include "ui/paint/letter_document.h"
#include "ui/text/text.h"
#include <cstdio>
#include <QGuiApplication>
#include <unistd.h>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

std::string side_word(const Finding& f) { return !f.side ? "" : *f.side == Side::left ? "left" : "right"; }

/// Points and review behind a review file: the points file itself, or the clip found again.
Result<Track> track_behind(const ReviewFile& file, const fs::path& where, const Environment& env, fs::path& clip) {
    fs::path source(file.clip);
    std::error_code ec;
    if (!fs::exists(source, ec)) source = where.parent_path() / source.filename();
    if (source.extension() == ".csv") return read_points(source);
    clip = source;
    TrackOptions o;
    o.model_dir = find_model_dir(env.program);
    auto found = track_clip(source, o, env.stop);
    if (!found) return tl::unexpected(found.error());
    return std::move(found->track);
}

void film_scene(const SceneClip& c, const Movement& movement, const fs::path& file) {
    const auto options = scene_take(c);
    const sim::Take take(movement, options);
    auto writer = ClipWriter::create(file, options.phone.width, options.phone.height, options.phone.fps, 27);
    if (!writer) return;
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (!writer->add(take.picture(i), take.track().time_s[i])) return;
    (void)writer->finish();
}

Result<bool> make_scene(const fs::path& folder, const Environment& env) {
    auto lib = Library::open(folder);
    if (!lib) return tl::unexpected(lib.error());
    (void)lib->set_setting("signed_by", "Maren Oduya");
    (void)lib->set_setting("place", "Lantern Quay");
    std::vector<std::int64_t> ids;
    for (const auto& s : scene_students()) {
        auto id = lib->add_person({0, s.name, s.stature_m, s.notes});
        if (!id) return tl::unexpected(id.error());
        ids.push_back(*id);
    }
    const auto movements = load_movements(find_data_dir(env.program));
    const fs::path studio = fs::temp_directory_path() / ("bevel-scene-" + std::to_string(::getpid()));
    fs::create_directories(studio);
    for (const auto& c : scene_clips()) {
        if (env.stop.stop_requested()) return fail(Code::cancelled, "");
        const auto m = std::find_if(movements.begin(), movements.end(), [&](const Movement& x) { return x.id == c.movement; });
        if (m == movements.end()) return fail(Code::not_found, c.movement);
        const fs::path file = studio / (std::string(c.file) + ".mp4");
        film_scene(c, *m, file);
        Clip clip;
        clip.person = ids[static_cast<std::size_t>(c.student)];
        clip.movement = c.movement;
        clip.view = c.view;
        clip.filmed_on = clip.arrived_on = c.date;
        auto id = lib->add_clip(clip, file);
        if (!id) return tl::unexpected(id.error());
        clip = *lib->clip(*id);
        std::printf("%s %.1f MB\n", c.file, static_cast<double>(fs::file_size(file)) / 1e6);
        std::fflush(stdout);
        if (c.then == SceneClip::Then::waiting) continue;
        // The very path of a real clip.
        TrackOptions o;
        o.model_dir = find_model_dir(env.program);
        auto found = track_clip(lib->path_of(clip), o, env.stop);
        if (!found) return tl::unexpected(found.error());
        if (auto ok = lib->save_track(*id, found->track); !ok) return ok;
        clip.state = ClipState::tracked;
        if (c.then == SceneClip::Then::reviewed) {
            ReviewOptions ro;
            ro.view = view_from_name(c.view);
            ro.stature_m = scene_students()[static_cast<std::size_t>(c.student)].stature_m;
            auto review = make_review(found->track, *m, ro);
            if (!review) return tl::unexpected(review.error());
            LetterRecord letter;
            letter.clip = *id;
            letter.signed_by = "Maren Oduya";
            letter.place = "Lantern Quay";
            letter.opening = "Dear " + std::string(scene_students()[static_cast<std::size_t>(c.student)].name).substr(0, std::string(scene_students()[static_cast<std::size_t>(c.student)].name).find(' ')) + ", thank you for your clip.";
            letter.closing = "Take one of these at a time. Warm wishes,";
            for (const auto& f : (*review)->findings) {
                if (f.verdict == Verdict::inside && letter.praise.empty() && !f.good.empty()) letter.praise = f.check + "/" + side_word(f);
                if (f.verdict != Verdict::outside) continue;
                const bool keep = letter.checks.size() < 3;
                (void)lib->save_decision(*id, {f.check, side_word(f), keep ? Choice::kept : Choice::set_aside, "", ""});
                if (keep) letter.checks.push_back(f.check + "/" + side_word(f));
            }
            (void)lib->save_letter(letter);
            clip.state = ClipState::reviewed;
        }
        if (auto ok = lib->update_clip(clip); !ok) return ok;
    }
    fs::remove_all(studio);
    return lib->compact();
}

} // namespace

int letter(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o");
    if (args->positional.size() != 1 || !out) return wrong_use("letter takes review.json and -o letter.pdf or letter.html");
    const fs::path target(*out), source(args->positional[0]);
    if (target.extension() != ".pdf" && target.extension() != ".html") return wrong_use("-o must end in .pdf or .html");
    const auto json = read_text(source, 200U << 20U);
    if (!json) return complain(json.error());
    const auto file = parse_review_json(*json);
    if (!file) return complain(file.error());
    const Movement* movement = nullptr;
    const auto data = find_data_dir(env.program);
    const auto movements = load_movements(data);
    for (const auto& m : movements)
        if (m.id == file->movement) movement = &m;
    if (!movement) return complain({Code::unreadable, "unknown movement " + file->movement});
    const auto catalogue = ui::Catalogue::load(data);
    if (!catalogue) return complain(catalogue.error());
    fs::path clip;
    const auto track = track_behind(*file, source, env, clip);
    if (!track) return complain(track.error());
    ReviewOptions options;
    options.view = file->view;
    options.stature_m = file->stature_m;
    for (const auto& s : load_schools(data))
        if (s.id == file->school) options.school = s.changes;
    const auto review = make_review(*track, *movement, options);
    if (!review) return complain(review.error());
    qputenv("QT_QPA_PLATFORM", "offscreen");
    int argc = 1;
    std::string name = "bevel-cli";
    std::array<char*, 2> argv{name.data(), nullptr};
    const QGuiApplication app(argc, argv.data());
    ui::Theme::load_fonts(data);
    const ui::Theme theme;
    ui::LetterSource content;
    content.clip = clip;
    content.track = &*track;
    content.review = *review;
    for (const auto& f : file->findings)
        if (f.verdict == Verdict::outside) content.corrections.push_back(f);
    ui::LetterContent c = ui::compose_letter(content, *catalogue, theme);
    c.student = QStringLiteral("you");
    c.date = QDate::currentDate();
    for (const auto& f : file->findings)
        if (f.verdict == Verdict::inside && c.praise.isEmpty()) c.praise = QString::fromStdString(f.good);
    const auto ok = target.extension() == ".pdf" ? ui::write_letter_pdf(target, c) : write_text(target, ui::letter_html(c).toStdString());
    return ok ? 0 : complain(ok.error());
}

int demo(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"--make"});
    if (!args) return complain(args.error());
    const auto folder = args->text("--make");
    if (!folder) return wrong_use("demo takes --make FOLDER");
    if (fs::exists(fs::path(*folder) / "library.sqlite")) return wrong_use("there is a library in " + *folder + " already");
    const auto ok = make_scene(*folder, env);
    return ok ? 0 : complain(ok.error());
}

} // namespace bevel::cli
