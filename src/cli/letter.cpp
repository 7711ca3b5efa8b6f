#include "cli/args.h"
#include "cli/commands.h"
#include "cli/painting.h"
#include "core/files.h"
#include "core/ground/derive.h"
#include "core/review/points_csv.h"
#include "core/review/review.h"
#include "desk/library_forms.h"
#include "desk/open_review.h"
#include "media/tracker.h"
#include "ui/paint/letter_document.h"
#include "ui/paint/sending.h"
#include "ui/text/text.h"
#include <cstdio>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

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

/// The letter of a clip as it is written in the library; nothing in the library is changed.
int letter_of_library(const fs::path& folder, std::int64_t clip, const fs::path& target, const Environment& env) {
    const auto library = Library::open(folder, true);
    if (!library) return complain(library.error());
    const auto data = find_data_dir(env.program);
    const Forms forms = forms_of(*library, shipped_forms(data));
    const auto catalogue = ui::Catalogue::load(data);
    if (!catalogue) return complain(catalogue.error());
    const auto open = load_review(*library, forms, clip, "en");
    if (!open) return complain(open.error());
    const auto letters = library->letters().of(clip);
    if (!letters) return complain(letters.error());
    if (letters->empty()) return complain({Code::cannot_judge, "no letter is written for this clip"});
    const auto facts = library->people().facts((*open)->person.id);
    ui::LetterOrder order;
    order.open = *open;
    order.record = letters->front();
    order.movements = forms.movements;
    auto also = load_visit(*library, forms, order.record, (*open)->person.id, "en");
    if (!also) return complain(also.error());
    order.also = std::move(*also);
    if (facts) order.alias = facts->alias, order.units.inches = facts->lengths == "in";
    const auto& motion = (*open)->review->motion; // lengths as this body has them
    const Person& who = (*open)->person;
    order.units.shoulder_m = motion.neutral.shoulder_width;
    order.units.foot_m = who.foot_m > 0 ? who.foot_m : motion.neutral.foot;
    order.units.fist_m = who.fist_m > 0 ? who.fist_m : motion.stature * ui::Units::fist_of_stature;
    const Painting painting(data);
    const auto content = ui::compose(order, *library, *catalogue);
    if (!content) return complain(content.error());
    const auto bytes = target.extension() == ".pdf"    ? ui::letter_pdf(*content, order.record.hide_identity)
                       : target.extension() == ".html" ? Result<QByteArray>(ui::letter_html(*content).toUtf8())
                                                       : Result<QByteArray>(ui::letter_text(*content).toUtf8());
    if (!bytes) return complain(bytes.error());
    const auto ok = write_whole(target, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
    return ok ? 0 : complain(ok.error());
}

} // namespace

int letter(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--library", "--clip"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o");
    if (const auto folder = args->text("--library")) {
        const auto clip = args->number("--clip", 1, 1e15);
        if (!clip) return complain(clip.error());
        if (!*clip || !out || !args->positional.empty()) return wrong_use("letter --library FOLDER takes --clip ID and -o");
        const auto ending = fs::path(*out).extension();
        if (ending != ".pdf" && ending != ".html" && ending != ".txt") return wrong_use("-o must end in .pdf, .html or .txt");
        return letter_of_library(*folder, static_cast<std::int64_t>(**clip), *out, env);
    }
    if (args->positional.size() != 1 || !out) return wrong_use("letter takes review.json and -o letter.pdf or letter.html");
    const fs::path target(*out), source(args->positional[0]);
    if (target.extension() != ".pdf" && target.extension() != ".html") return wrong_use("-o must end in .pdf or .html");
    const auto json = read_text(source, 200U << 20U);
    if (!json) return complain(json.error());
    const auto file = parse_review_json(*json);
    if (!file) return complain(file.error());
    if (!file->held_back.empty()) return complain({Code::cannot_judge, "held_back " + file->held_back});
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
    const Painting painting(data);
    const ui::Theme theme;
    ui::LetterSource content;
    content.clip = clip;
    const Track drawn = drawn_points(*track);
    content.track = &drawn;
    content.review = *review;
    for (const auto& r : remarked(file->findings))
        if (const Finding& f = file->findings[r.findings.front()]; f.verdict == Verdict::outside) content.corrections.push_back(f);
    ui::LetterContent c = ui::compose_letter(content, *catalogue, theme);
    c.student = QStringLiteral("you");
    c.date = QDate::currentDate();
    for (const auto& f : file->findings)
        if (f.verdict == Verdict::inside && f.sure && c.praise.isEmpty()) c.praise = ui::said(f.good);
    const bool pdf = target.extension() == ".pdf";
    const auto bytes = pdf ? ui::letter_pdf(c) : Result<QByteArray>(ui::letter_html(c).toUtf8());
    if (!bytes) return complain(bytes.error());
    const auto ok = write_whole(target, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
    return ok ? 0 : complain(ok.error());
}

} // namespace bevel::cli
