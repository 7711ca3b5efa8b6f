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
            info.line = m.value("line", std::string());
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

QString at_once(const AtOnce& how) {
    const QString first = TextWords::tr("X puts the other clip first.");
    const auto space = QStringLiteral(" ");
    if (!how.tried) return TextWords::tr("Whether both were filmed at once is not known yet.") + space + first;
    if (!how.together && how.why == "brief")
        return TextWords::tr(
                   "The other clip shows too little of this one to stand for it: each figure is told from the clip that shows it surer.") +
               space + first;
    if (!how.together)
        return TextWords::tr("The two clips do not show one performance at once: each figure is told from the clip that shows it surer.") +
               space + first;
    const QLocale locale;
    return TextWords::tr(
               "Both clips show one performance: their clocks differ by %1 s ± %2 s, and the two phones stand %3° apart. Each figure "
               "is told from both together or from one alone, whichever is surer.")
               .arg(locale.toString(std::abs(how.ahead_s), 'f', 2), locale.toString(how.sigma_s, 'f', 2),
                    locale.toString(how.apart_deg, 'f', 0)) +
           space + first;
}

QString from_fit(const OpenReview::FromFit& how) {
    if (!how.wanted) return {};
    if (!how.tried) return TextWords::tr("Filmed obliquely: one body is being fitted to the whole clip, to tell what the view hides.");
    if (!how.told)
        return TextWords::tr(
            "Filmed obliquely, and no one body fits the whole clip: what the view hides cannot be told. Film from the front "
            "or from the side.");
    return TextWords::tr(
        "Filmed obliquely: knee bend, thigh, knee past the toe, toe-out, stance length and turns are of one body fitted to "
        "the whole clip, with wider errors. From the front or from the side they are told surer.");
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
    case Absent::otherwise:
        return TextWords::tr("faces another way here than the rest of the clip");
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
