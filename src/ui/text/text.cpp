#include "ui/text/text.h"
#include "core/judge/finding_key.h"
#include "core/movement/movement.h"
#include "ui/text/known_check.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QCoreApplication>
#include <QDate>
#include <QLocale>

namespace bevel::ui {
namespace {
struct TextWords {
    Q_DECLARE_TR_FUNCTIONS(text)
};

struct Unit {
    double factor;
    int decimals;
    QString suffix;
};
Unit unit_of(const QString& u, const Units& units) {
    constexpr double inch_cm = 2.54;
    if (u == QLatin1String("cm") && units.inches) return {1 / inch_cm, 1, TextWords::tr(" in")};
    if (u == QLatin1String("mm/s") && units.inches) return {0.1 / inch_cm, 2, TextWords::tr(" in/s")};
    if (u == QLatin1String("SW") && units.shoulder_m > 0) {
        if (units.width == Units::Width::length)
            return {units.shoulder_m * 100 / (units.inches ? inch_cm : 1), units.inches ? 1 : 0,
                    units.inches ? TextWords::tr(" in") : TextWords::tr(" cm")};
        if (units.width == Units::Width::fists && units.fist_m > 0) return {units.shoulder_m / units.fist_m, 1, TextWords::tr(" fists")};
        if (units.width == Units::Width::feet && units.foot_m > 0)
            return {units.shoulder_m / units.foot_m, 2, TextWords::tr(" foot lengths")};
    }
    if (u == QLatin1String("deg")) return {1, 0, QStringLiteral("°")};
    if (u == QLatin1String("deg/s")) return {1, 0, QStringLiteral("°/s")};
    if (u == QLatin1String("cm")) return {1, 1, TextWords::tr(" cm")};
    if (u == QLatin1String("s")) return {1, 2, QStringLiteral(" s")};
    if (u == QLatin1String("%")) return {1, 0, QStringLiteral(" %")};
    if (u == QLatin1String("1")) return {100, 0, QStringLiteral(" %")};
    if (u == QLatin1String("count")) return {1, 0, QString()};
    if (u == QLatin1String("mm/s")) return {1, 1, QStringLiteral(" mm/s")};
    if (u == QLatin1String("SW")) return {1, 2, TextWords::tr(" SW")};
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
        return TextWords::tr("Feet");
    case Family::weight:
        return TextWords::tr("Weight");
    case Family::knees:
        return TextWords::tr("Knees");
    case Family::hips:
        return TextWords::tr("Hips");
    case Family::spine:
        return TextWords::tr("Spine");
    case Family::head:
        return TextWords::tr("Head");
    case Family::arms:
        return TextWords::tr("Arms");
    case Family::tempo:
        break;
    }
    return TextWords::tr("Breath & tempo");
}

QString side(Side s) {
    return s == Side::left ? TextWords::tr("left") : TextWords::tr("right");
}

QString view(View v) {
    switch (v) {
    case View::front:
        return TextWords::tr("from the front");
    case View::back:
        return TextWords::tr("from the back");
    case View::left:
        return TextWords::tr("from the student's left");
    case View::right:
        return TextWords::tr("from the student's right");
    case View::oblique:
        return TextWords::tr("obliquely");
    case View::three_d:
        break;
    }
    return TextWords::tr("in 3D");
}

QString verdict(Verdict v) {
    switch (v) {
    case Verdict::inside:
        return TextWords::tr("inside");
    case Verdict::edge:
        return TextWords::tr("at the edge");
    case Verdict::outside:
        return TextWords::tr("outside");
    case Verdict::cannot_tell:
        break;
    }
    return TextWords::tr("cannot tell");
}

QString severity(Severity s) {
    switch (s) {
    case Severity::safety:
        return TextWords::tr("safety");
    case Severity::ground:
        return TextWords::tr("groundwork");
    case Severity::timing:
        return TextWords::tr("timing");
    case Severity::shape:
        return TextWords::tr("shape");
    case Severity::even:
        break;
    }
    return TextWords::tr("evenness");
}

QString absent(Absent a) {
    switch (a) {
    case Absent::none:
        return TextWords::tr("the error is larger than the band");
    case Absent::view:
        return TextWords::tr("cannot be told from this view");
    case Absent::no_body:
        return TextWords::tr("the body was not found here");
    case Absent::turned:
        return TextWords::tr("turned too far from the picture");
    case Absent::foreshortened:
        return TextWords::tr("the thigh points too much at the camera");
    case Absent::toes_out:
        return TextWords::tr("the toes point too far out for this figure");
    case Absent::feet_close:
        return TextWords::tr("the feet are too close together");
    case Absent::no_neutral:
        return TextWords::tr("no quiet standing to compare with");
    case Absent::no_vertical:
        return TextWords::tr("the true vertical is not known");
    case Absent::foot_off:
        return TextWords::tr("a foot is off the floor");
    case Absent::hidden:
        return TextWords::tr("this foot is hidden in part from this side");
    case Absent::not_marked:
        return TextWords::tr("needs points or moments marked by hand");
    case Absent::no_floor:
        return TextWords::tr("the floor is not known, and the feet stand at different depths");
    case Absent::not_recorded:
        return TextWords::tr("no recorded range of this student to compare with");
    case Absent::supported:
        return TextWords::tr("a hand on a support carries part of the weight");
    case Absent::seated:
        return TextWords::tr("seated practice has its own rules");
    case Absent::alike:
        return TextWords::tr("left and right repetitions look the same from here");
    case Absent::no_occasion:
        return TextWords::tr("does not happen in this clip");
    case Absent::no_event:
        break;
    }
    return TextWords::tr("the moment was not found");
}

QString breath(Breath b) {
    return b == Breath::in ? TextWords::tr("in") : b == Breath::out ? TextWords::tr("out") : TextWords::tr("free");
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
    if (low && high) return TextWords::tr("%1 to %2").arg(bare(*low, unit, units), bare(*high, unit, units));
    if (low) return TextWords::tr("≥ %1").arg(bare(*low, unit, units));
    return high ? TextWords::tr("≤ %1").arg(bare(*high, unit, units)) : QString();
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
    if (low && high) return TextWords::tr("%1 to %2").arg(number(*low * u.factor, u.decimals), figure(*high, unit, units));
    if (low) return TextWords::tr("at least %1").arg(figure(*low, unit, units));
    if (high) return TextWords::tr("up to %1").arg(figure(*high, unit, units));
    return {};
}

QString point(Point p) {
    const std::array<QString, 14> names{TextWords::tr("nose"),     TextWords::tr("eye"),          TextWords::tr("ear"),
                                        TextWords::tr("shoulder"), TextWords::tr("elbow"),        TextWords::tr("wrist"),
                                        TextWords::tr("thumb"),    TextWords::tr("index finger"), TextWords::tr("little finger"),
                                        TextWords::tr("hip"),      TextWords::tr("knee"),         TextWords::tr("ankle"),
                                        TextWords::tr("heel"),     TextWords::tr("toe tip")};
    if (p == nose) return names[0];
    const bool left = p < right_eye;
    return TextWords::tr("%2 %1", "a point of the body after its side")
        .arg(names[static_cast<std::size_t>(left ? p : mirrored(p))], side(left ? Side::left : Side::right));
}

QString span(const std::optional<double>& from_s, const std::optional<double>& to_s) {
    auto whole = [](double s) {
        return QStringLiteral("%1:%2").arg(static_cast<int>(s) / 60).arg(static_cast<int>(s) % 60, 2, 10, QLatin1Char('0'));
    };
    if (!from_s) return to_s ? TextWords::tr("to %1").arg(whole(*to_s)) : QString();
    return to_s ? QStringLiteral("%1–%2").arg(whole(*from_s), whole(*to_s)) : TextWords::tr("from %1").arg(whole(*from_s));
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
    QString text = total == 1 ? TextWords::tr("1 repetition") : TextWords::tr("%1 repetitions").arg(total);
    if (lefts + rights > 0)
        text = TextWords::tr("%1 (%2 left, %3 right)").arg(text).arg(lefts).arg(rights);
    else if (!r.reference->model().symmetric)
        text = TextWords::tr("%1 (left and right look alike from here)").arg(text);
    return cut > 0 ? TextWords::tr("%1, %2 of them cut by the ends of the clip").arg(text).arg(cut) : text;
}

QString repetitions(const Finding& f) {
    const auto bad = static_cast<int>(f.repetitions.size());
    if (f.judged == 0 || !f.part.empty()) return {}; // a part of a form is done once; in how many parts is said by where()
    if (bad == 0) return f.judged == 1 ? TextWords::tr("1 repetition") : TextWords::tr("%1 repetitions").arg(f.judged);
    if (bad == f.judged && bad > 1) return TextWords::tr("in all %1 repetitions").arg(bad);
    return TextWords::tr("in %1 of %2 repetitions").arg(bad).arg(f.judged);
}

QString band_owner(BandLevel l) {
    switch (l) {
    case BandLevel::rule:
        return TextWords::tr("the rule");
    case BandLevel::stance:
        return TextWords::tr("the stance");
    case BandLevel::movement:
        return TextWords::tr("the movement");
    case BandLevel::school:
        return TextWords::tr("the school");
    case BandLevel::phase:
        return TextWords::tr("this phase of the movement");
    case BandLevel::student:
        return TextWords::tr("what is agreed with the student");
    case BandLevel::clip:
        break;
    }
    return TextWords::tr("this clip");
}

QStringList why(const Finding& f, const Review& review, const Catalogue& c, const Units& units) {
    QStringList out;
    const QString unit = QString::fromStdString(f.unit);
    const Rule* rule = rule_book().find(f.rule);
    if (rule) out << TextWords::tr("Rule %1: %2.").arg(QString::fromStdString(f.rule), said(rule->name));
    if (const auto* m = c.find(QString::fromStdString(f.measure))) out << TextWords::tr("Measured: %1.").arg(m->definition());
    const Check* check = nullptr;
    for (const auto& k : review.movement.checks)
        if (k.id == f.check && k.part == f.part) check = &k;
    const auto part = own_part_of(f.measure, f.side);
    const auto& own = part ? review.motion.neutral.own.of(*part) : std::optional<OwnFigure>();
    if (f.own_neutral)
        out << TextWords::tr("Held against what was marked as right for this student.");
    else if (own && own->of_clip)
        out << TextWords::tr("Held against a moment of this very clip that was marked as right: nothing is praised for it.");
    else if (const auto* info = measure_info(f.measure); info && info->habit)
        out << TextWords::tr("Held against the quiet stand of this clip: what is there all the time does not show.");
    if (check && check->reference) out << TextWords::tr("Held against the reference figure at the same moment of the movement.");
    if (check && !check->phases.empty()) {
        QStringList phases;
        for (const auto& p : check->phases) phases << phase(review.movement, p);
        out << TextWords::tr("Looked at in: %1.").arg(phases.join(QStringLiteral(", ")));
    }
    if (f.low || f.high) {
        QString line = TextWords::tr("Band in force: %1, set by %2.").arg(band(f.low, f.high, unit, units), band_owner(f.whose));
        if (!f.reason.empty()) line += QLatin1Char(' ') + said(f.reason);
        if (check && check->stack.size() > 1) {
            const auto& before = check->stack[check->stack.size() - 2];
            if (before.low || before.high)
                line += QLatin1Char(' ') + TextWords::tr("Without it: %1.").arg(band(before.low, before.high, unit, units));
        }
        if (f.widened) line += QLatin1Char(' ') + TextWords::tr("It is wider here, since this clip can tell no finer.");
        out << line;
    }
    if (f.verdict == Verdict::cannot_tell) {
        out << TextWords::tr("Cannot be told: %1.").arg(absent(f.absent));
        if (!f.film.empty()) out << said(f.film);
        return out;
    }
    out << TextWords::tr("Figure: %1 over %2; error of the moments ± %3, of the clip ± %4, of where the points sit on this person ± %5.")
               .arg(with_sigma(f.value, f.sigma, unit, units),
                    f.judged == 1 ? TextWords::tr("1 repetition") : TextWords::tr("%1 repetitions").arg(f.judged), bare(f.own, unit, units),
                    bare(f.clip, unit, units), bare(f.person, unit, units));
    if (review.partner) {
        const auto& other = f.of_clip == 1 ? review : *review.partner;
        out << TextWords::tr("Told by the clip %1.").arg(view(review.of(f).motion.view));
        if (f.other)
            out << (f.contradicted() ? TextWords::tr("The clip %1 says otherwise: %2. Look at both pictures before you say it.")
                                     : TextWords::tr("The clip %1 tells it less surely: %2."))
                       .arg(view(other.motion.view), with_sigma(f.other->value, f.other->sigma(), unit, units));
    }
    QStringList parts;
    for (const auto& p : f.phases) {
        const QString figures = with_sigma(p.value, p.sigma, unit, units);
        parts << (p.verdict == Verdict::outside
                      ? TextWords::tr("%1: %2, outside, at %3").arg(phase(review.movement, p.phase), figures, time(p.time_s))
                  : p.low == f.low && p.high == f.high
                      ? QStringLiteral("%1: %2").arg(phase(review.movement, p.phase), figures)
                      : TextWords::tr("%1: %2, where the figure itself asks for %3")
                            .arg(phase(review.movement, p.phase), figures, band(p.low, p.high, unit, units)));
    }
    if (!parts.isEmpty()) out << TextWords::tr("Part by part: %1.").arg(parts.join(QStringLiteral("; ")));
    QStringList each;
    for (const auto& o : f.outcomes) each << TextWords::tr("%1 at %2").arg(figure(o.value, unit, units), time(o.time_s));
    if (!each.isEmpty()) out << TextWords::tr("Repetition by repetition: %1.").arg(each.join(QStringLiteral("; ")));
    if (f.share_outside > 0)
        out << TextWords::tr("Outside the band for %1 of those moments.").arg(figure(f.share_outside, QStringLiteral("1")));
    QStringList higher, lower;
    for (const auto& g : review.findings) {
        if (std::find(f.cause_of.begin(), f.cause_of.end(), g.check) != f.cause_of.end() && g.verdict == Verdict::outside)
            higher << headline(g, c, units);
        if (std::find(g.cause_of.begin(), g.cause_of.end(), f.check) != g.cause_of.end()) lower << headline(g, c, units);
    }
    higher.removeDuplicates();
    lower.removeDuplicates();
    if (!lower.isEmpty()) out << TextWords::tr("May come from: %1.").arg(lower.join(QStringLiteral("; ")));
    if (!higher.isEmpty()) out << TextWords::tr("May be the cause of: %1.").arg(higher.join(QStringLiteral("; ")));
    return out;
}

QString aim(const Finding& f, const Units& units) {
    const QString s = band(f.low, f.high, QString::fromStdString(f.unit), units);
    return f.reference ? TextWords::tr("%1 against the reference").arg(s) : s;
}

QString check_name(const std::string& id, const Catalogue& c) {
    if (id == "limit.no_overhead") return TextWords::tr("No arms overhead");
    if (id == "limit.no_balance") return TextWords::tr("No standing on one leg");
    if (id == "limit.seated") return TextWords::tr("Practises seated");
    if (id == "limit.no_bends") return TextWords::tr("No forward bends");
    if (id == "limit.no_twists") return TextWords::tr("No twists");
    if (id == "limit.high_stance") return TextWords::tr("High stances only");
    if (id == "limit.care_knees") return TextWords::tr("Care for the knees");
    if (id == "limit.care_low_back") return TextWords::tr("Care for the low back");
    if (id == "limit.care_neck") return TextWords::tr("Care for the neck");
    if (id == "limit.care_shoulders") return TextWords::tr("Care for the shoulders");
    if (FindingKey::read(id).seen()) return TextWords::tr("Something seen");
    const Check* check = known_check(id);
    return check ? c.name(QString::fromStdString(check->measure)) : QString::fromStdString(id);
}

QString day(const std::string& iso, bool year) {
    const QDate date = QDate::fromString(QString::fromStdString(iso), Qt::ISODate);
    if (!date.isValid()) return {};
    const bool this_year = !year && date.year() == QDate::currentDate().year();
    return locale_now().toString(date, this_year ? TextWords::tr("d MMM", "a day of this year, as QDate writes it")
                                                 : TextWords::tr("d MMM yyyy", "a day, as QDate writes it"));
}

QString agreement(const Agreement& a, const Catalogue& c, const Units& units) {
    const Check* check = known_check(a.check);
    const QString unit = check ? QString::fromStdString(unit_of_measure(rule_book(), check->measure).value_or("")) : QString();
    auto long_day = [](const std::string& iso) {
        return locale_now().toString(QDate::fromString(QString::fromStdString(iso), Qt::ISODate), QLocale::LongFormat);
    };
    const QString band = !a.limit().empty() ? TextWords::tr("for practice plans and reviews")
                         : a.off            ? TextWords::tr("not judged")
                                            : text::band(a.low, a.high, unit, units);
    QString when;
    if (a.clip != 0)
        when = TextWords::tr("in this clip");
    else if (!a.from_day.empty() && !a.until_day.empty())
        when = TextWords::tr("from %1 until %2").arg(long_day(a.from_day), long_day(a.until_day));
    else if (!a.until_day.empty())
        when = TextWords::tr("until %1").arg(long_day(a.until_day));
    else
        when = a.from_day.empty() ? TextWords::tr("always") : TextWords::tr("from %1 on").arg(long_day(a.from_day));
    return TextWords::tr("%1: %2, %3. %4").arg(check_name(a.check, c), band, when, said(a.reason));
}

QString movement(const Movement& m) {
    return m.version.empty() ? said(m.name) : TextWords::tr("%1 (%2)").arg(said(m.name), said(m.version));
}

QString praise(const Finding& f, const Movement& m) {
    if (f.verdict != Verdict::inside || f.good.empty() || (!f.sure && f.sure_phase.empty())) return {};
    return f.sure ? said(f.good)
                  : TextWords::tr("In “%1”: %2", "a part of the movement, a sentence of praise").arg(phase(m, f.sure_phase), said(f.good));
}

QString where(const std::vector<const Finding*>& remark, const Movement& m) {
    QStringList out;
    // Of a linked form: in which of its parts; where in them is said by each.
    std::vector<std::string> parts;
    for (const auto* f : remark)
        if (!f->part.empty() && std::find(parts.begin(), parts.end(), f->part) == parts.end()) parts.push_back(f->part);
    if (!parts.empty()) {
        QStringList names;
        for (const auto& p : parts)
            names << TextWords::tr("%1 (%2)", "name and number of a part").arg(part_name(m, p), QString::fromStdString(p));
        if (names.size() > 3) return TextWords::tr("in %n part(s), most in %1", nullptr, static_cast<int>(names.size())).arg(names.front());
        return names.size() == 1 ? TextWords::tr("in %1 alone").arg(names.front())
                                 : TextWords::tr("in %1", "parts of a form").arg(names.join(QStringLiteral(", ")));
    }
    bool left = false, right = false, phases = false;
    std::size_t told = 0;
    std::vector<std::string> ids;
    for (const auto* f : remark) {
        left = left || f->side == Side::left;
        right = right || f->side == Side::right;
        phases = phases || !f->phases.empty();
        told = std::max(told, f->phases.size());
        for (const auto* p : f->outside())
            if (std::find(ids.begin(), ids.end(), p->phase) == ids.end()) ids.push_back(p->phase);
    }
    if (left && right) out << TextWords::tr("both sides");
    if (phases && ids.size() >= told && ids.size() > 2)
        out << TextWords::tr("in every part, most in “%1”").arg(phase(m, ids.front()));
    else if (!ids.empty()) {
        QStringList names;
        for (const auto& id : ids) names << TextWords::tr("“%1”", "a part of the movement").arg(phase(m, id));
        out << (names.size() == 1 ? TextWords::tr("in %1 alone").arg(names.front())
                                  : TextWords::tr("most in %1, in %2 too").arg(names.front(), names.mid(1).join(QStringLiteral(", "))));
    }
    return out.join(QStringLiteral("; "));
}

QString headline(const Finding& f, const Catalogue& c, const Units& units) {
    if (f.by_hand)
        return f.side ? TextWords::tr("Seen: %1, %2").arg(family(f.family), side(*f.side))
                      : TextWords::tr("Seen: %1").arg(family(f.family));
    QString name = c.name(QString::fromStdString(f.measure));
    if (f.side) name = TextWords::tr("%1, %2").arg(name, side(*f.side));
    if (f.verdict == Verdict::cannot_tell) return name;
    const QString unit = QString::fromStdString(f.unit);
    if (f.reference) // said as a difference
        return f.value < 0 ? TextWords::tr("%1: %2 less than the reference").arg(name, figure(-f.value, unit, units))
                           : TextWords::tr("%1: %2 more than the reference").arg(name, figure(f.value, unit, units));
    return TextWords::tr("%1: %2").arg(name, figure(f.value, unit, units));
}

QString caution(const QString& code) {
    if (code == QLatin1String("knees"))
        return TextWords::tr("Knees follow the toes; no twist under load. Pain means stop, or make it smaller.");
    if (code == QLatin1String("balance"))
        return TextWords::tr("Keep a chair or wall in reach for steps and one-leg moments; steadier side first.");
    if (code == QLatin1String("dizziness")) return TextWords::tr("If you feel dizzy, sit down.");
    if (code == QLatin1String("overhead"))
        return TextWords::tr("Hands overhead only as high as stays easy; if you feel dizzy, lower them and sit down.");
    if (code == QLatin1String("bends")) return TextWords::tr("Bend with soft knees, and come up slowly.");
    if (code == QLatin1String("general"))
        return TextWords::tr(
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
    if (k.side == "lead") name = TextWords::tr("%1 (leading side)").arg(name);
    if (k.side == "rear") name = TextWords::tr("%1 (rear side)").arg(name);
    QStringList bands;
    if (k.low || k.high) bands << band(k.low, k.high, unit, units);
    for (const auto& [stance_id, step] : rc.stances)
        if (step.low || step.high) bands << TextWords::tr("%1 in %2").arg(band(step.low, step.high, unit, units), stance(stance_id));
    QString s = TextWords::tr("%1: %2").arg(name, bands.join(QStringLiteral("; ")));
    if (k.reference) s = TextWords::tr("%1 against the reference at the same moment").arg(s);
    if (!rc.roles.empty()) s += QStringLiteral(". ") + TextWords::tr("Looked at in: %1").arg(listed(rc.roles));
    if (!rc.not_roles.empty()) s += QStringLiteral(". ") + TextWords::tr("Not looked at in: %1").arg(listed(rc.not_roles));
    if (k.three_d) s += QStringLiteral(". ") + TextWords::tr("One camera cannot tell it");
    return s + QLatin1Char('.');
}

QString phase(const Movement& m, const std::string& id) {
    const auto dot = m.part_names.empty() ? std::string::npos : id.find('.');
    for (const auto& p : m.phases)
        if (p.id == id)
            return dot == std::string::npos
                       ? said(p.name)
                       : TextWords::tr("%1: %2", "part of a form: phase").arg(part_name(m, id.substr(0, dot)), said(p.name));
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
