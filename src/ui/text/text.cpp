#include "ui/text/text.h"
#include "core/movement/movement.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QCoreApplication>
#include <QDate>
#include <QLocale>

namespace bevel::ui {
namespace {
struct Words {
    Q_DECLARE_TR_FUNCTIONS(text)
};

struct Unit {
    double factor;
    int decimals;
    QString suffix;
};
Unit unit_of(const QString& u, const Units& units) {
    constexpr double inch_cm = 2.54;
    if (u == QLatin1String("cm") && units.inches) return {1 / inch_cm, 1, Words::tr(" in")};
    if (u == QLatin1String("mm/s") && units.inches) return {0.1 / inch_cm, 2, Words::tr(" in/s")};
    if (u == QLatin1String("SW") && units.shoulder_m > 0) {
        if (units.width == Units::Width::length)
            return {units.shoulder_m * 100 / (units.inches ? inch_cm : 1), units.inches ? 1 : 0,
                    units.inches ? Words::tr(" in") : Words::tr(" cm")};
        if (units.width == Units::Width::fists && units.fist_m > 0) return {units.shoulder_m / units.fist_m, 1, Words::tr(" fists")};
        if (units.width == Units::Width::feet && units.foot_m > 0) return {units.shoulder_m / units.foot_m, 2, Words::tr(" foot lengths")};
    }
    if (u == QLatin1String("deg")) return {1, 0, QStringLiteral("°")};
    if (u == QLatin1String("deg/s")) return {1, 0, QStringLiteral("°/s")};
    if (u == QLatin1String("cm")) return {1, 1, Words::tr(" cm")};
    if (u == QLatin1String("s")) return {1, 2, QStringLiteral(" s")};
    if (u == QLatin1String("%")) return {1, 0, QStringLiteral(" %")};
    if (u == QLatin1String("1")) return {100, 0, QStringLiteral(" %")};
    if (u == QLatin1String("count")) return {1, 0, QString()};
    if (u == QLatin1String("mm/s")) return {1, 1, QStringLiteral(" mm/s")};
    if (u == QLatin1String("SW")) return {1, 2, Words::tr(" SW")};
    return {1, 2, QString()};
}
QString number(double v, int decimals) {
    const double scale = std::pow(10.0, decimals);
    double r = std::round(v * scale) / scale;
    if (r == 0) r = 0; // no minus zero
    QString s = locale_now().toString(r, 'f', decimals);
    return s.replace(QLatin1Char('-'), QChar(0x2212)); // a true minus
}
} // namespace

Result<Catalogue> Catalogue::load(const std::filesystem::path& data_dir) {
    const auto source = read_text(data_dir / "measures.json", 1 << 20);
    if (!source) return tl::unexpected(source.error());
    Catalogue c;
    try {
        const auto j = nlohmann::json::parse(*source);
        for (const auto& m : j.at("measures")) {
            MeasureInfo info;
            auto q = [&](const char* key) { return QString::fromStdString(m.at(key).get<std::string>()); };
            info.id = q("id");
            info.source_name = m.at("name").get<std::string>();
            info.unit = q("unit");
            info.source_definition = m.at("definition").get<std::string>();
            info.source_seen_from = m.at("seen_from").get<std::string>();
            info.sided = m.value("sided", false);
            info.hidden = m.value("hidden", false);
            for (int f = 0; f < family_count; ++f)
                if (m.at("family") == std::string(family_name(static_cast<Family>(f)))) info.family = static_cast<Family>(f);
            c.all_.push_back(std::move(info));
        }
    } catch (const nlohmann::json::exception& e) {
        return fail(Code::unreadable, std::string("measures.json: ") + e.what());
    }
    return c;
}

const MeasureInfo* Catalogue::find(const QString& id) const {
    for (const auto& m : all_)
        if (m.id == id) return &m;
    return nullptr;
}

QString Catalogue::name(const QString& id) const {
    const auto* m = find(id);
    return m ? m->name() : id;
}

std::vector<const MeasureInfo*> Catalogue::of(Family f) const {
    std::vector<const MeasureInfo*> out;
    for (const auto& m : all_)
        if (m.family == f && !m.hidden) out.push_back(&m);
    return out;
}

namespace text {

QString family(Family f) {
    switch (f) {
    case Family::feet:
        return Words::tr("Feet");
    case Family::weight:
        return Words::tr("Weight");
    case Family::knees:
        return Words::tr("Knees");
    case Family::hips:
        return Words::tr("Hips");
    case Family::spine:
        return Words::tr("Spine");
    case Family::head:
        return Words::tr("Head");
    case Family::arms:
        return Words::tr("Arms");
    case Family::tempo:
        break;
    }
    return Words::tr("Breath & tempo");
}

QString side(Side s) {
    return s == Side::left ? Words::tr("left") : Words::tr("right");
}

QString view(View v) {
    switch (v) {
    case View::front:
        return Words::tr("from the front");
    case View::back:
        return Words::tr("from the back");
    case View::left:
        return Words::tr("from the student's left");
    case View::right:
        return Words::tr("from the student's right");
    case View::oblique:
        return Words::tr("obliquely");
    case View::three_d:
        break;
    }
    return Words::tr("in 3D");
}

QString verdict(Verdict v) {
    switch (v) {
    case Verdict::inside:
        return Words::tr("inside");
    case Verdict::edge:
        return Words::tr("at the edge");
    case Verdict::outside:
        return Words::tr("outside");
    case Verdict::cannot_tell:
        break;
    }
    return Words::tr("cannot tell");
}

QString severity(Severity s) {
    switch (s) {
    case Severity::safety:
        return Words::tr("safety");
    case Severity::ground:
        return Words::tr("groundwork");
    case Severity::timing:
        return Words::tr("timing");
    case Severity::shape:
        return Words::tr("shape");
    case Severity::even:
        break;
    }
    return Words::tr("evenness");
}

QString absent(Absent a) {
    switch (a) {
    case Absent::none:
        return Words::tr("the error is larger than the band");
    case Absent::view:
        return Words::tr("cannot be told from this view");
    case Absent::no_body:
        return Words::tr("the body was not found here");
    case Absent::turned:
        return Words::tr("turned too far from the picture");
    case Absent::foreshortened:
        return Words::tr("the thigh points too much at the camera");
    case Absent::toes_out:
        return Words::tr("the toes point too far out for this figure");
    case Absent::feet_close:
        return Words::tr("the feet are too close together");
    case Absent::no_neutral:
        return Words::tr("no quiet standing to compare with");
    case Absent::no_vertical:
        return Words::tr("the true vertical is not known");
    case Absent::foot_off:
        return Words::tr("a foot is off the floor");
    case Absent::hidden:
        return Words::tr("this foot is hidden in part from this side");
    case Absent::not_marked:
        return Words::tr("needs points or moments marked by hand");
    case Absent::no_floor:
        return Words::tr("the floor is not known, and the feet stand at different depths");
    case Absent::not_recorded:
        return Words::tr("no recorded range of this student to compare with");
    case Absent::supported:
        return Words::tr("a hand on a support carries part of the weight");
    case Absent::seated:
        return Words::tr("seated practice has its own rules");
    case Absent::alike:
        return Words::tr("left and right repetitions look the same from here");
    case Absent::no_occasion:
        return Words::tr("does not happen in this clip");
    case Absent::no_event:
        break;
    }
    return Words::tr("the moment was not found");
}

QString breath(Breath b) {
    return b == Breath::in ? Words::tr("in") : b == Breath::out ? Words::tr("out") : Words::tr("free");
}

ShownUnit shown_unit(const QString& unit, const Units& units) {
    const Unit u = unit_of(unit, units);
    return {u.factor, u.decimals, u.suffix};
}

QString figure(double value, const QString& unit, const Units& units) {
    const Unit u = unit_of(unit, units);
    return number(value * u.factor, u.decimals) + u.suffix;
}

QString bare(double value, const QString& unit, const Units& units) {
    const Unit u = unit_of(unit, units);
    return number(value * u.factor, u.decimals);
}

QString bare_band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit, const Units& units) {
    if (low && high) return Words::tr("%1 to %2").arg(bare(*low, unit, units), bare(*high, unit, units));
    if (low) return Words::tr("≥ %1").arg(bare(*low, unit, units));
    return high ? Words::tr("≤ %1").arg(bare(*high, unit, units)) : QString();
}

QString difference(double value, const QString& unit, const Units& units) {
    const QString s = bare(value, unit, units);
    return value >= 0 && !s.startsWith(QChar(0x2212)) ? QLatin1Char('+') + s : s;
}

QString with_sigma(double value, double sigma, const QString& unit, const Units& units) {
    const Unit u = unit_of(unit, units);
    return number(value * u.factor, u.decimals) + QStringLiteral(" ± ") +
           number(std::max(sigma * u.factor, std::pow(10.0, -u.decimals)), u.decimals) + u.suffix;
}

QString band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit, const Units& units) {
    const Unit u = unit_of(unit, units);
    if (low && high) return Words::tr("%1 to %2").arg(number(*low * u.factor, u.decimals), figure(*high, unit, units));
    if (low) return Words::tr("at least %1").arg(figure(*low, unit, units));
    if (high) return Words::tr("up to %1").arg(figure(*high, unit, units));
    return {};
}

QString point(Point p) {
    const std::array<QString, 14> names{Words::tr("nose"),          Words::tr("eye"),    Words::tr("ear"),   Words::tr("shoulder"),
                                        Words::tr("elbow"),         Words::tr("wrist"),  Words::tr("thumb"), Words::tr("index finger"),
                                        Words::tr("little finger"), Words::tr("hip"),    Words::tr("knee"),  Words::tr("ankle"),
                                        Words::tr("heel"),          Words::tr("toe tip")};
    if (p == nose) return names[0];
    const bool left = p < right_eye;
    return Words::tr("%2 %1", "a point of the body after its side")
        .arg(names[static_cast<std::size_t>(left ? p : mirrored(p))], side(left ? Side::left : Side::right));
}

QString span(const std::optional<double>& from_s, const std::optional<double>& to_s) {
    auto whole = [](double s) {
        return QStringLiteral("%1:%2").arg(static_cast<int>(s) / 60).arg(static_cast<int>(s) % 60, 2, 10, QLatin1Char('0'));
    };
    if (!from_s) return to_s ? Words::tr("to %1").arg(whole(*to_s)) : QString();
    return to_s ? QStringLiteral("%1–%2").arg(whole(*from_s), whole(*to_s)) : Words::tr("from %1").arg(whole(*from_s));
}

QString time(double seconds) {
    const int tenths = static_cast<int>(std::lround(std::max(0.0, seconds) * 10));
    return QStringLiteral("%1:%2")
        .arg(tenths / 600)
        .arg(locale_now().toString((tenths % 600) / 10.0, 'f', 1).rightJustified(4, QLatin1Char('0')));
}

QString repetitions(const Review& r) {
    int lefts = 0, rights = 0, cut = 0;
    for (const auto& rep : r.alignment.repetitions) {
        lefts += rep.side == Side::left ? 1 : 0;
        rights += rep.side == Side::right ? 1 : 0;
        cut += rep.cut ? 1 : 0;
    }
    const auto total = static_cast<int>(r.alignment.repetitions.size());
    QString text = total == 1 ? Words::tr("1 repetition") : Words::tr("%1 repetitions").arg(total);
    if (lefts + rights > 0)
        text = Words::tr("%1 (%2 left, %3 right)").arg(text).arg(lefts).arg(rights);
    else if (!r.reference->model().symmetric)
        text = Words::tr("%1 (left and right look alike from here)").arg(text);
    return cut > 0 ? Words::tr("%1, %2 of them cut by the ends of the clip").arg(text).arg(cut) : text;
}

QString repetitions(const Finding& f) {
    const auto bad = static_cast<int>(f.repetitions.size());
    if (f.judged == 0) return {};
    if (bad == 0) return f.judged == 1 ? Words::tr("1 repetition") : Words::tr("%1 repetitions").arg(f.judged);
    if (bad == f.judged && bad > 1) return Words::tr("in all %1 repetitions").arg(bad);
    return Words::tr("in %1 of %2 repetitions").arg(bad).arg(f.judged);
}

QString band_owner(BandLevel l) {
    switch (l) {
    case BandLevel::rule:
        return Words::tr("the rule");
    case BandLevel::stance:
        return Words::tr("the stance");
    case BandLevel::movement:
        return Words::tr("the movement");
    case BandLevel::school:
        return Words::tr("the school");
    case BandLevel::phase:
        return Words::tr("this phase of the movement");
    case BandLevel::student:
        return Words::tr("what is agreed with the student");
    case BandLevel::clip:
        break;
    }
    return Words::tr("this clip");
}

QStringList why(const Finding& f, const Review& review, const Catalogue& c, const Units& units) {
    QStringList out;
    const QString unit = QString::fromStdString(f.unit);
    const Rule* rule = rule_book().find(f.rule);
    if (rule) out << Words::tr("Rule %1: %2.").arg(QString::fromStdString(f.rule), said(rule->name));
    if (const auto* m = c.find(QString::fromStdString(f.measure))) out << Words::tr("Measured: %1.").arg(m->definition());
    const Check* check = nullptr;
    for (const auto& k : review.movement.checks)
        if (k.id == f.check) check = &k;
    if (check && check->reference) out << Words::tr("Held against the reference figure at the same moment of the movement.");
    if (check && !check->phases.empty()) {
        QStringList phases;
        for (const auto& p : check->phases) phases << phase(review.movement, p);
        out << Words::tr("Looked at in: %1.").arg(phases.join(QStringLiteral(", ")));
    }
    if (f.low || f.high) {
        QString line = Words::tr("Band in force: %1, set by %2.").arg(band(f.low, f.high, unit, units), band_owner(f.whose));
        if (!f.reason.empty()) line += QLatin1Char(' ') + said(f.reason);
        if (check && check->stack.size() > 1) {
            const auto& before = check->stack[check->stack.size() - 2];
            if (before.low || before.high)
                line += QLatin1Char(' ') + Words::tr("Without it: %1.").arg(band(before.low, before.high, unit, units));
        }
        if (f.widened) line += QLatin1Char(' ') + Words::tr("It is wider here, since this clip can tell no finer.");
        out << line;
    }
    if (f.verdict == Verdict::cannot_tell) {
        out << Words::tr("Cannot be told: %1.").arg(absent(f.absent));
        if (!f.film.empty()) out << said(f.film);
        return out;
    }
    out << Words::tr("Figure: %1 over %2; error of the moments ± %3, of the clip ± %4, of where the points sit on this person ± %5.")
               .arg(with_sigma(f.value, f.sigma, unit, units),
                    f.judged == 1 ? Words::tr("1 repetition") : Words::tr("%1 repetitions").arg(f.judged), bare(f.own, unit, units),
                    bare(f.clip, unit, units), bare(f.person, unit, units));
    if (review.partner) {
        const auto& other = f.of_clip == 1 ? review : *review.partner;
        out << Words::tr("Told by the clip %1.").arg(view(review.of(f).motion.view));
        if (f.other)
            out << (f.contradicted() ? Words::tr("The clip %1 says otherwise: %2. Look at both pictures before you say it.")
                                     : Words::tr("The clip %1 tells it less surely: %2."))
                       .arg(view(other.motion.view), with_sigma(f.other->value, f.other->sigma(), unit, units));
    }
    QStringList each;
    for (const auto& o : f.outcomes) each << Words::tr("%1 at %2").arg(figure(o.value, unit, units), time(o.time_s));
    if (!each.isEmpty()) out << Words::tr("Repetition by repetition: %1.").arg(each.join(QStringLiteral("; ")));
    if (f.share_outside > 0)
        out << Words::tr("Outside the band for %1 of those moments.").arg(figure(f.share_outside, QStringLiteral("1")));
    QStringList higher, lower;
    for (const auto& g : review.findings) {
        if (std::find(f.cause_of.begin(), f.cause_of.end(), g.check) != f.cause_of.end() && g.verdict == Verdict::outside)
            higher << headline(g, c, units);
        if (std::find(g.cause_of.begin(), g.cause_of.end(), f.check) != g.cause_of.end()) lower << headline(g, c, units);
    }
    higher.removeDuplicates();
    lower.removeDuplicates();
    if (!lower.isEmpty()) out << Words::tr("May come from: %1.").arg(lower.join(QStringLiteral("; ")));
    if (!higher.isEmpty()) out << Words::tr("May be the cause of: %1.").arg(higher.join(QStringLiteral("; ")));
    return out;
}

QString aim(const Finding& f, const Units& units) {
    const QString s = band(f.low, f.high, QString::fromStdString(f.unit), units);
    return f.reference ? Words::tr("%1 against the reference").arg(s) : s;
}

namespace {
const Check* check_of(const std::string& id) {
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if (rc.check.id == id) return &rc.check;
    return nullptr;
}
} // namespace

QString check_name(const std::string& id, const Catalogue& c) {
    if (id == "limit.no_overhead") return Words::tr("No arms overhead");
    if (id == "limit.no_balance") return Words::tr("No standing on one leg");
    if (id == "limit.seated") return Words::tr("Practises seated");
    if (id == "limit.no_bends") return Words::tr("No forward bends");
    if (id == "limit.no_twists") return Words::tr("No twists");
    if (id == "limit.high_stance") return Words::tr("High stances only");
    if (id.starts_with("seen:")) return Words::tr("Something seen");
    const Check* check = check_of(id);
    return check ? c.name(QString::fromStdString(check->measure)) : QString::fromStdString(id);
}

QString agreement(const Agreement& a, const Catalogue& c, const Units& units) {
    const Check* check = check_of(a.check);
    const QString unit = check ? QString::fromStdString(unit_of_measure(rule_book(), check->measure).value_or("")) : QString();
    auto day = [](const std::string& iso) {
        return locale_now().toString(QDate::fromString(QString::fromStdString(iso), Qt::ISODate), QLocale::LongFormat);
    };
    const QString band = a.check.starts_with("limit.") ? Words::tr("for practice plans")
                         : a.off                       ? Words::tr("not judged")
                                                       : text::band(a.low, a.high, unit, units);
    QString when;
    if (a.clip != 0)
        when = Words::tr("in this clip");
    else if (!a.from_day.empty() && !a.until_day.empty())
        when = Words::tr("from %1 until %2").arg(day(a.from_day), day(a.until_day));
    else if (!a.until_day.empty())
        when = Words::tr("until %1").arg(day(a.until_day));
    else
        when = a.from_day.empty() ? Words::tr("always") : Words::tr("from %1 on").arg(day(a.from_day));
    return Words::tr("%1: %2, %3. %4").arg(check_name(a.check, c), band, when, said(a.reason));
}

QString movement(const Movement& m) {
    return m.version.empty() ? said(m.name) : Words::tr("%1 (%2)").arg(said(m.name), said(m.version));
}

QString headline(const Finding& f, const Catalogue& c, const Units& units) {
    if (f.by_hand)
        return f.side ? Words::tr("Seen: %1, %2").arg(family(f.family), side(*f.side)) : Words::tr("Seen: %1").arg(family(f.family));
    QString name = c.name(QString::fromStdString(f.measure));
    if (f.side) name = Words::tr("%1, %2").arg(name, side(*f.side));
    if (f.verdict == Verdict::cannot_tell) return name;
    const QString unit = QString::fromStdString(f.unit);
    if (f.reference) // said as a difference
        return f.value < 0 ? Words::tr("%1: %2 less than the reference").arg(name, figure(-f.value, unit, units))
                           : Words::tr("%1: %2 more than the reference").arg(name, figure(f.value, unit, units));
    return Words::tr("%1: %2").arg(name, figure(f.value, unit, units));
}

QString error(const Error& e) {
    const QString what = QString::fromStdString(e.context);
    switch (e.code) {
    case Code::cancelled:
        return Words::tr("Cancelled.");
    case Code::cannot_open:
        if (what.endsWith(QLatin1String(".tflite")))
            return Words::tr("The files of the body finder are missing. Set Bevel up again with “./run build”, then try once more; or set "
                             "the body by hand.");
        return Words::tr("The file cannot be opened: %1. Check that it still exists and that you may read it.").arg(what);
    case Code::unreadable:
        return Words::tr("This file cannot be read (%1). If it plays elsewhere, save it again as MP4 and try that.").arg(what);
    case Code::too_large:
        return Words::tr("This file is larger than Bevel can take (%1). Cut the clip to the part that matters.").arg(what);
    case Code::in_use:
        return Words::tr("This library is open in another window of Bevel (%1). Close that one first, or go on there.").arg(what);
    case Code::write_failed:
        if (what == QLatin1String("read_only"))
            return Words::tr(
                "This library was made by a newer Bevel, or its folder cannot be written to: it is open for reading only. Nothing was "
                "changed.");
        return Words::tr("Writing failed: %1. Check that there is room and that the folder may be written to.").arg(what);
    case Code::cannot_judge:
        return reason(what);
    case Code::not_found:
        return Words::tr("Not found: %1.").arg(what);
    case Code::bad_value:
        if (what.startsWith(QLatin1String("identity: ")))
            return Words::tr("Not saved: “%1” may still tell who it is. Change these words, or let the name be seen.").arg(what.mid(10));
        if (what.startsWith(QLatin1String("field: "))) return Words::tr("Not sent. %1.").arg(what.mid(7));
        if (what.startsWith(QLatin1String("changed: ")))
            return Words::tr("Not sent: “%1” is no longer outside its band in this clip, or cannot be told. Look at it in the review, or "
                             "leave it out.")
                .arg(what.mid(9));
        if (what == QLatin1String("another_clip"))
            return Words::tr("This is another clip: its content is not the one that was taken in. Choose the file it was copied from.");
        if (what == QLatin1String("folder_not_empty")) return Words::tr("A backup is restored into an empty folder. Choose another one.");
        break;
    }
    return Words::tr("A value is not usable: %1.").arg(what);
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
    if (code == QLatin1String("no_body"))
        return Words::tr("Nobody was found in this clip for long enough. Film in better light, with the whole body in the picture.");
    if (code == QLatin1String("too_short")) return Words::tr("The clip is too short to judge. A whole repetition is needed.");
    if (code == QLatin1String("feet_cut_off"))
        return Words::tr("The feet are cut off. Step back or tilt the phone down, so that the floor shows below both feet.");
    if (code == QLatin1String("no_background"))
        return Words::tr("Too little of the room can be followed to take the shake out. Film with the phone on a shelf or a stand.");
    if (code == QLatin1String("camera_walks"))
        return Words::tr("The camera changed its place, which cannot be taken out. Film with the phone on a shelf or a stand.");
    if (code == QLatin1String("too_small")) return Words::tr("The student is too small in the picture. Film from closer.");
    if (code == QLatin1String("oblique_view"))
        return Words::tr("Filmed obliquely. Judge it again: what can be told from there is measured now.");
    if (code == QLatin1String("one_camera"))
        return Words::tr("Clips of several cameras cannot be put together yet. Review them one by one.");
    if (code == QLatin1String("view_needed")) return Words::tr("Choose the view this clip was filmed from.");
    if (code == QLatin1String("no_repetition"))
        return Words::tr("Nothing in the clip looks like this movement. Check that the right movement is chosen.");
    if (code == QLatin1String("nothing_to_show"))
        return Words::tr("On no frame of this stretch can it be hidden who it is. Choose another correction, or let it be seen.");
    if (code == QLatin1String("cancelled")) return Words::tr("Finding the body was stopped. Choose “Change …” and save to start again.");
    if (code.startsWith(QLatin1String("unreadable: ")) && code.endsWith(QLatin1String(".tflite")))
        return error({Code::cannot_open, code.mid(12).toStdString()});
    if (code.startsWith(QLatin1String("unreadable: "))) return error({Code::unreadable, code.mid(12).toStdString()});
    return code;
}

QString limit(LimitKind k) {
    switch (k) {
    case LimitKind::lost:
        return Words::tr("the body was not found");
    case LimitKind::feet_cut:
        return Words::tr("feet cut off");
    case LimitKind::head_cut:
        return Words::tr("head cut off");
    case LimitKind::too_small:
        return Words::tr("too small in the picture");
    case LimitKind::dark:
        return Words::tr("too dark");
    case LimitKind::shaky:
        return Words::tr("the camera trembles");
    case LimitKind::wandering:
        return Words::tr("the camera moves along");
    case LimitKind::view_changes:
        return Words::tr("seen from one side, then from another");
    case LimitKind::other_view:
        return Words::tr("this movement is told better from elsewhere");
    case LimitKind::slow_frames:
        return Words::tr("too few pictures a second");
    case LimitKind::several_people:
        return Words::tr("several people in the picture");
    case LimitKind::loose_clothes:
        return Words::tr("the knees wander under loose clothes");
    case LimitKind::sides_cut:
        return Words::tr("cut off at the side");
    case LimitKind::bright:
        return Words::tr("too bright");
    case LimitKind::flat:
        return Words::tr("hardly any contrast");
    case LimitKind::blurred:
        return Words::tr("blurred");
    case LimitKind::tilted:
        return Words::tr("the phone stands aslant");
    case LimitKind::steep:
        return Words::tr("the phone looks up or down steeply");
    case LimitKind::legs_hidden:
        return Words::tr("the legs are hidden");
    case LimitKind::gaps:
        return Words::tr("pictures are missing in between");
    case LimitKind::short_clip:
        return Words::tr("very short");
    case LimitKind::somebody_else:
        break;
    }
    return Words::tr("from there on somebody else, or a cut in the film");
}

QString film_next(LimitKind k) {
    switch (k) {
    case LimitKind::lost:
        return Words::tr("Stay in the picture for the whole clip, in good light.");
    case LimitKind::feet_cut:
        return Words::tr("Step back or tilt the phone down, until floor shows below both feet.");
    case LimitKind::head_cut:
        return Words::tr("Step back or tilt the phone up, until there is room above the head and the raised hands.");
    case LimitKind::too_small:
        return Words::tr("Film from closer: the body should fill about two thirds of the picture's height.");
    case LimitKind::dark:
        return Words::tr("More light, and from the side of the camera, not from behind the student.");
    case LimitKind::shaky:
        return Words::tr("Put the phone on a shelf or a stand; do not hold it.");
    case LimitKind::wandering:
        return Words::tr("Let the phone stand still: the student moves, not the camera.");
    case LimitKind::view_changes:
        return Words::tr("Keep facing the same way, and film each side in a clip of its own.");
    case LimitKind::other_view:
        return Words::tr("Film it once more from the side that is named in the filming guide.");
    case LimitKind::slow_frames:
        return Words::tr("Set the phone to thirty pictures a second; dim light can slow it down.");
    case LimitKind::several_people:
        return Words::tr("Film one person alone.");
    case LimitKind::loose_clothes:
        return Words::tr("Wear trousers that show the knees.");
    case LimitKind::sides_cut:
        return Words::tr("Stand in the middle and step back, until there is room for both arms stretched out.");
    case LimitKind::bright:
        return Words::tr("Turn the phone away from the window or the lamp, or draw a curtain.");
    case LimitKind::flat:
        return Words::tr("Wipe the lens, and wear something that stands out from the wall.");
    case LimitKind::blurred:
        return Words::tr("Wipe the lens, let the phone focus on the student, and film in better light.");
    case LimitKind::tilted:
        return Words::tr("Set the phone upright or level; a door frame shows whether it is.");
    case LimitKind::steep:
        return Words::tr("Put the phone at hip height, so that it looks straight ahead.");
    case LimitKind::legs_hidden:
        return Words::tr("Clear what stands before the legs, and film again.");
    case LimitKind::gaps:
        return Words::tr("Film again with room left on the phone, and send the original file.");
    case LimitKind::short_clip:
        return Words::tr("Film three repetitions a side, with a quiet stand before and after.");
    case LimitKind::somebody_else:
        break;
    }
    return Words::tr("Keep others out of the picture, or cut the clip where it changes.");
}

QString limits(const std::vector<Limit>& all) {
    QStringList out;
    std::vector<LimitKind> seen;
    for (const auto& l : all) {
        if (std::find(seen.begin(), seen.end(), l.kind) != seen.end()) continue;
        seen.push_back(l.kind);
        QStringList when;
        double whole = 0;
        for (const auto& m : all) {
            if (m.kind != l.kind) continue;
            if (when.size() < 3) when << Words::tr("%1 to %2").arg(time(m.from_s), time(m.to_s));
            whole += m.to_s - m.from_s;
        }
        QString s = Words::tr("%1 (%2)").arg(limit(l.kind), when.join(QStringLiteral(", ")));
        s[0] = s[0].toUpper();
        if (l.refuses) {
            s += QStringLiteral(": ") + Words::tr("nothing can be judged");
        } else if (l.rules_out.size() == static_cast<std::size_t>(family_count)) {
            s += QStringLiteral(": ") + Words::tr("nothing is judged there");
        } else if (!l.rules_out.empty()) {
            QStringList parts;
            for (const Family f : l.rules_out) parts << family(f);
            s += QStringLiteral(": ") + Words::tr("less sure about %1").arg(parts.join(QStringLiteral(", ")));
        }
        out << s + QStringLiteral(". ") + film_next(l.kind);
    }
    return out.join(QLatin1Char('\n'));
}

QString caution(const QString& code) {
    if (code == QLatin1String("knees"))
        return Words::tr("Knees follow the toes; no twist under load. Pain means stop, or make it smaller.");
    if (code == QLatin1String("balance"))
        return Words::tr("Keep a chair or wall in reach for steps and one-leg moments; steadier side first.");
    if (code == QLatin1String("dizziness")) return Words::tr("If you feel dizzy, sit down.");
    if (code == QLatin1String("overhead"))
        return Words::tr("Hands overhead only as high as stays easy; if you feel dizzy, lower them and sit down.");
    if (code == QLatin1String("bends")) return Words::tr("Bend with soft knees, and come up slowly.");
    if (code == QLatin1String("general"))
        return Words::tr(
            "Pain means stop or make it smaller. New to practice, pregnant, after surgery, or with heart, blood-pressure, eye, back "
            "or bone conditions: ask a "
            "licensed clinician first. These remarks describe form; figures from one camera carry the error stated beside them.");
    return {};
}

QString caution_of(const Finding& f) {
    const Rule* rule = rule_book().find(f.rule);
    return rule && !rule->cautions.empty() ? caution(QString::fromStdString(rule->cautions.front())) : QString();
}

QString role(const std::string& id) {
    return said(id);
}

QString stance(const std::string& id) {
    return said(id);
}

QString rule_sentence(const RuleCheck& rc, const Catalogue& c, const Units& units) {
    const Check& k = rc.check;
    const QString unit = QString::fromStdString(k.unit.empty() ? unit_of_measure(rule_book(), k.measure).value_or("") : k.unit);
    auto listed = [](const std::vector<std::string>& ids) {
        QStringList words;
        for (const auto& id : ids) words << said(id);
        return words.join(QStringLiteral(", "));
    };
    QString name = c.name(QString::fromStdString(k.measure));
    if (k.side == "lead") name = Words::tr("%1 (leading side)").arg(name);
    if (k.side == "rear") name = Words::tr("%1 (rear side)").arg(name);
    QStringList bands;
    if (k.low || k.high) bands << band(k.low, k.high, unit, units);
    for (const auto& [stance_id, step] : rc.stances)
        if (step.low || step.high) bands << Words::tr("%1 in %2").arg(band(step.low, step.high, unit, units), stance(stance_id));
    QString s = Words::tr("%1: %2").arg(name, bands.join(QStringLiteral("; ")));
    if (k.reference) s = Words::tr("%1 against the reference at the same moment").arg(s);
    if (!rc.roles.empty()) s += QStringLiteral(". ") + Words::tr("Looked at in: %1").arg(listed(rc.roles));
    if (!rc.not_roles.empty()) s += QStringLiteral(". ") + Words::tr("Not looked at in: %1").arg(listed(rc.not_roles));
    if (k.three_d) s += QStringLiteral(". ") + Words::tr("One camera cannot tell it");
    return s + QLatin1Char('.');
}

QString phase(const Movement& m, const std::string& id) {
    for (const auto& p : m.phases)
        if (p.id == id) return said(p.name);
    return {};
}

QStringList cautions_for(const std::vector<Finding>& findings, const Movement* movement) {
    QStringList codes;
    for (const auto& f : findings)
        if (const Rule* rule = rule_book().find(f.rule))
            for (const auto& c : rule->cautions)
                if (!codes.contains(QString::fromStdString(c))) codes << QString::fromStdString(c);
    if (movement)
        for (const auto& c : movement->cautions)
            if (!codes.contains(QString::fromStdString(c))) codes << QString::fromStdString(c);
    if (codes.contains(QStringLiteral("overhead"))) codes.removeAll(QStringLiteral("dizziness"));
    QStringList out;
    for (const auto& c : codes)
        if (const QString s = caution(c); !s.isEmpty()) out << s;
    return out;
}

} // namespace text
} // namespace bevel::ui
