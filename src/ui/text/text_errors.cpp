// What went wrong or stands in the way, in words, each with its way out.
#include "core/judge/finding_key.h"
#include "core/movement/movement.h"
#include "ui/text/known_check.h"
#include "ui/text/text.h"
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct ErrorWords {
    Q_DECLARE_TR_FUNCTIONS(text)
};

} // namespace

namespace text {

namespace {
/// Of a check's measure, where no catalogue is at hand.
QString plain_check_name(const std::string& id) {
    const Check* check = known_check(id);
    const auto* info = check ? measure_info(check->measure) : nullptr;
    return info ? said(info->name) : QString::fromStdString(id);
}
} // namespace

QString looked(const Looked& l) {
    switch (l.what) {
    case Looked::What::waits:
        return {};
    case Looked::What::ready:
        return ErrorWords::tr("Judged again. The review is ready.");
    case Looked::What::asked:
        return ErrorWords::tr("Go to Arrivals to say whose clip this is and what it shows.");
    case Looked::What::refused:
        return error(l.why);
    }
    return {};
}

QString error(const Error& e) {
    const QString what = QString::fromStdString(e.context);
    const QString where = what.mid(what.indexOf(QLatin1String(": ")) + 2);
    switch (Library::trouble_of(e)) {
    case Library::Trouble::missing:
        return ErrorWords::tr("In %1 are films, but the library's own file is missing or empty. Nothing was changed. Restore a backup, or "
                              "put library.sqlite back.")
            .arg(where);
    case Library::Trouble::damaged:
        return ErrorWords::tr("The library is damaged: %1. Nothing was changed. Restore a backup; what can still be read can be looked at.")
            .arg(where);
    case Library::Trouble::full:
        return ErrorWords::tr("There is no room left where the library is: %1. Make room, then try again. Nothing was changed.").arg(where);
    case Library::Trouble::closed:
        return ErrorWords::tr("The library cannot be opened: %1. Check that the disk is there and that you may read and write in it.")
            .arg(where);
    case Library::Trouble::none:
        break;
    }
    if (what.startsWith(QLatin1String("damaged films: ")))
        return ErrorWords::tr("These films are no longer what they were when they came, or cannot be read: %1. Nothing was written; go on "
                              "without them, or take them in again first.")
            .arg(where);
    switch (e.code) {
    case Code::cancelled:
        return ErrorWords::tr("Cancelled.");
    case Code::cannot_open:
        if (what.endsWith(QLatin1String(".tflite")))
            return ErrorWords::tr(
                "The files of the body finder are missing. Set Bevel up again with “./run build”, then try once more; or set "
                "the body by hand.");
        return ErrorWords::tr("The file cannot be opened: %1. Check that it still exists and that you may read it.").arg(what);
    case Code::unreadable:
        return ErrorWords::tr("This file cannot be read (%1). If it plays elsewhere, save it again as MP4 and try that.").arg(what);
    case Code::too_large:
        if (what == QLatin1String("clip"))
            return ErrorWords::tr("Even small and coarse, the clip is larger than that. Choose a larger size; nothing was saved.");
        return ErrorWords::tr("This file is larger than Bevel can take (%1). Cut the clip to the part that matters.").arg(what);
    case Code::in_use:
        return ErrorWords::tr("This library is open in another window of Bevel (%1). Close that one first, or go on there.").arg(what);
    case Code::write_failed:
        if (what == QLatin1String("read_only"))
            return ErrorWords::tr(
                "This library was made by a newer Bevel, is damaged, or its folder cannot be written to: it is open for reading only. "
                "Nothing was changed.");
        return ErrorWords::tr("Writing failed: %1. Check that there is room and that the folder may be written to.").arg(what);
    case Code::cannot_judge:
        return reason(what);
    case Code::not_found:
        return ErrorWords::tr("Not found: %1.").arg(what);
    case Code::tells:
        return ErrorWords::tr("Not saved: “%1” may still tell who it is. Change these words, or let the name be seen.").arg(what);
    case Code::no_field:
        return ErrorWords::tr("Not sent. %1.").arg(what);
    case Code::no_longer_so:
        if (what == QLatin1String("visit"))
            return ErrorWords::tr("Not sent: a clip that this letter answers too is gone, or is another person's by now. Open the letter "
                                  "again and choose anew.");
        return ErrorWords::tr("Not sent: “%1” is no longer outside its band in this clip, or cannot be told. Look at it in the review, or "
                              "leave it out.")
            .arg(plain_check_name(FindingKey::read(e.context).check));
    case Code::bad_value:
        if (what == QLatin1String("another_clip"))
            return ErrorWords::tr(
                "This is another clip: its content is not the one that was taken in. Choose the file it was copied from.");
        if (what.startsWith(QLatin1String("address: ")))
            return ErrorWords::tr("“%1” is no e-mail address that can be handed to the mail program. Change it under People.").arg(where);
        if (what == QLatin1String("day")) return ErrorWords::tr("This is no day between 1900 and 2199.");
        if (what == QLatin1String("folder_not_empty"))
            return ErrorWords::tr("A backup is restored into an empty folder. Choose another one.");
        break;
    }
    return ErrorWords::tr("A value is not usable: %1.").arg(what);
}

QString reason(const QString& code) {
    if (code.startsWith(QLatin1String("limit: ")))
        for (int k = 0; k <= static_cast<int>(LimitKind::somebody_else); ++k)
            if (const auto name = limit_name(static_cast<LimitKind>(k));
                code.mid(7) == QLatin1String(name.data(), static_cast<qsizetype>(name.size()))) {
                QString s = limit(static_cast<LimitKind>(k));
                s[0] = s[0].toUpper();
                return s + QStringLiteral(". ") + film_next(static_cast<LimitKind>(k));
            }
    if (code == QLatin1String("nobody_there")) return ErrorWords::tr("Nobody is here: a lesson is made for those who are.");
    if (code == QLatin1String("no_body"))
        return ErrorWords::tr("Nobody was found in this clip for long enough. Film in better light, with the whole body in the picture.");
    if (code == QLatin1String("too_long"))
        return ErrorWords::tr("The clip lasts longer than three hours, or one of its time stamps leaps. Cut it to the part that matters.");
    if (code == QLatin1String("stops"))
        return ErrorWords::tr(
            "Looking for the body in this clip ended Bevel twice. It is left alone now; save it again as MP4 and take that "
            "in, or choose “Change …” to try once more.");
    if (code == QLatin1String("times"))
        return ErrorWords::tr(
            "The time stamps of the clip do not increase from frame to frame. Save it again as MP4 and take it in once more.");
    if (code == QLatin1String("too_short")) return ErrorWords::tr("The clip is too short to judge. A whole repetition is needed.");
    if (code == QLatin1String("feet_cut_off"))
        return ErrorWords::tr("The feet are cut off. Step back or tilt the phone down, so that the floor shows below both feet.");
    if (code == QLatin1String("no_background"))
        return ErrorWords::tr("Too little of the room can be followed to take the shake out. Film with the phone on a shelf or a stand.");
    if (code == QLatin1String("camera_walks"))
        return ErrorWords::tr("The camera changed its place, which cannot be taken out. Film with the phone on a shelf or a stand.");
    if (code == QLatin1String("too_small")) return ErrorWords::tr("The student is too small in the picture. Film from closer.");
    if (code == QLatin1String("oblique_view"))
        return ErrorWords::tr("Filmed obliquely. Judge it again: what can be told from there is measured now.");
    if (code == QLatin1String("one_camera"))
        return ErrorWords::tr("Clips of several cameras cannot be put together yet. Review them one by one.");
    if (code == QLatin1String("view_needed")) return ErrorWords::tr("Choose the view this clip was filmed from.");
    if (code == QLatin1String("no_repetition"))
        return ErrorWords::tr(
            "Nothing in the clip looks like this movement. Check that the right movement is chosen; as “Something else” its figures "
            "are measured, and what may hurt is told.");
    if (code == QLatin1String("held_back"))
        return ErrorWords::tr("This clip looks like another movement. Say in Review which one it is; then a letter can be written.");
    if (code == QLatin1String("nothing_to_show"))
        return ErrorWords::tr("On no frame of this stretch can it be hidden who it is. Choose another correction, or let it be seen.");
    if (code == QLatin1String("cancelled"))
        return ErrorWords::tr("Finding the body was stopped. Choose “Change …” and save to start again.");
    if (code.startsWith(QLatin1String("unreadable: ")) && code.endsWith(QLatin1String(".tflite")))
        return error({Code::cannot_open, code.mid(12).toStdString()});
    if (code.startsWith(QLatin1String("unreadable: "))) return error({Code::unreadable, code.mid(12).toStdString()});
    return code;
}

QString limit(LimitKind k) {
    switch (k) {
    case LimitKind::lost:
        return ErrorWords::tr("the body was not found");
    case LimitKind::feet_cut:
        return ErrorWords::tr("feet cut off");
    case LimitKind::head_cut:
        return ErrorWords::tr("head cut off");
    case LimitKind::too_small:
        return ErrorWords::tr("too small in the picture");
    case LimitKind::dark:
        return ErrorWords::tr("too dark");
    case LimitKind::shaky:
        return ErrorWords::tr("the camera trembles");
    case LimitKind::wandering:
        return ErrorWords::tr("the camera moves along");
    case LimitKind::view_changes:
        return ErrorWords::tr("seen from one side, then from another");
    case LimitKind::other_view:
        return ErrorWords::tr("this movement is told better from elsewhere");
    case LimitKind::slow_frames:
        return ErrorWords::tr("too few pictures a second");
    case LimitKind::several_people:
        return ErrorWords::tr("several people in the picture");
    case LimitKind::loose_clothes:
        return ErrorWords::tr("the knees wander under loose clothes");
    case LimitKind::sides_cut:
        return ErrorWords::tr("cut off at the side");
    case LimitKind::bright:
        return ErrorWords::tr("too bright");
    case LimitKind::flat:
        return ErrorWords::tr("hardly any contrast");
    case LimitKind::blurred:
        return ErrorWords::tr("blurred");
    case LimitKind::tilted:
        return ErrorWords::tr("the phone stands aslant");
    case LimitKind::steep:
        return ErrorWords::tr("the phone looks up or down steeply");
    case LimitKind::legs_hidden:
        return ErrorWords::tr("the legs are hidden");
    case LimitKind::gaps:
        return ErrorWords::tr("pictures are missing in between");
    case LimitKind::short_clip:
        return ErrorWords::tr("very short");
    case LimitKind::somebody_else:
        break;
    }
    return ErrorWords::tr("from there on somebody else, or a cut in the film");
}

QString film_next(LimitKind k) {
    switch (k) {
    case LimitKind::lost:
        return ErrorWords::tr("Stay in the picture for the whole clip, in good light.");
    case LimitKind::feet_cut:
        return ErrorWords::tr("Step back or tilt the phone down, until floor shows below both feet.");
    case LimitKind::head_cut:
        return ErrorWords::tr("Step back or tilt the phone up, until there is room above the head and the raised hands.");
    case LimitKind::too_small:
        return ErrorWords::tr("Film from closer: the body should fill about two thirds of the picture's height.");
    case LimitKind::dark:
        return ErrorWords::tr("More light, and from the side of the camera, not from behind the student.");
    case LimitKind::shaky:
        return ErrorWords::tr("Put the phone on a shelf or a stand; do not hold it.");
    case LimitKind::wandering:
        return ErrorWords::tr("Let the phone stand still: the student moves, not the camera.");
    case LimitKind::view_changes:
        return ErrorWords::tr("Keep facing the same way, and film each side in a clip of its own.");
    case LimitKind::other_view:
        return ErrorWords::tr("Film it once more from the side that is named in the filming guide.");
    case LimitKind::slow_frames:
        return ErrorWords::tr("Set the phone to thirty pictures a second; dim light can slow it down.");
    case LimitKind::several_people:
        return ErrorWords::tr("Film one person alone.");
    case LimitKind::loose_clothes:
        return ErrorWords::tr("Wear trousers that show the knees.");
    case LimitKind::sides_cut:
        return ErrorWords::tr("Stand in the middle and step back, until there is room for both arms stretched out.");
    case LimitKind::bright:
        return ErrorWords::tr("Turn the phone away from the window or the lamp, or draw a curtain.");
    case LimitKind::flat:
        return ErrorWords::tr("Wipe the lens, and wear something that stands out from the wall.");
    case LimitKind::blurred:
        return ErrorWords::tr("Wipe the lens, let the phone focus on the student, and film in better light.");
    case LimitKind::tilted:
        return ErrorWords::tr("Set the phone upright or level; a door frame shows whether it is.");
    case LimitKind::steep:
        return ErrorWords::tr("Put the phone at hip height, so that it looks straight ahead.");
    case LimitKind::legs_hidden:
        return ErrorWords::tr("Clear what stands before the legs, and film again.");
    case LimitKind::gaps:
        return ErrorWords::tr("Film again with room left on the phone, and send the original file.");
    case LimitKind::short_clip:
        return ErrorWords::tr("Film three repetitions a side, with a quiet stand before and after.");
    case LimitKind::somebody_else:
        break;
    }
    return ErrorWords::tr("Keep others out of the picture, or cut the clip where it changes.");
}

QString limits(const std::vector<Limit>& all) {
    QStringList out;
    std::vector<LimitKind> seen;
    for (const auto& l : all) {
        if (std::find(seen.begin(), seen.end(), l.kind) != seen.end()) continue;
        seen.push_back(l.kind);
        QStringList when;
        for (const auto& m : all)
            if (m.kind == l.kind && when.size() < 3) when << ErrorWords::tr("%1 to %2").arg(time(m.from_s), time(m.to_s));
        QString s = ErrorWords::tr("%1 (%2)").arg(limit(l.kind), when.join(QStringLiteral(", ")));
        s[0] = s[0].toUpper();
        if (l.refuses) {
            s += QStringLiteral(": ") + ErrorWords::tr("nothing can be judged");
        } else if (l.rules_out.size() == static_cast<std::size_t>(family_count)) {
            s += QStringLiteral(": ") + ErrorWords::tr("nothing is judged there");
        } else if (!l.rules_out.empty()) {
            QStringList parts;
            for (const Family f : l.rules_out) parts << family(f);
            s += QStringLiteral(": ") + ErrorWords::tr("less sure about %1").arg(parts.join(QStringLiteral(", ")));
        }
        out << s + QStringLiteral(". ") + film_next(l.kind);
    }
    return out.join(QLatin1Char('\n'));
}

} // namespace text
} // namespace bevel::ui
