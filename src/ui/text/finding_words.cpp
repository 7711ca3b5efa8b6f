// What is said of a finding: its headline and sentence, where and how often, what may be praised, and what it rests on.
#include "core/movement/movement.h"
#include "ui/text/known_check.h"
#include "ui/text/text.h"
#include <QCoreApplication>

namespace bevel::ui::text {
namespace {
struct FindingWords {
    Q_DECLARE_TR_FUNCTIONS(text)
};

QStringList looked_at(const Finding& f, const Check* check, const Review& review, const Catalogue& c) {
    QStringList out;
    if (const Rule* rule = rule_book().find(f.rule))
        out << FindingWords::tr("Rule %1: %2.").arg(QString::fromStdString(f.rule), said(rule->name));
    if (const auto* m = c.find(QString::fromStdString(f.measure))) out << FindingWords::tr("Measured: %1.").arg(m->definition());
    const auto part = own_part_of(f.measure, f.side);
    const auto& own = part ? review.motion.neutral.own.of(*part) : std::optional<OwnFigure>();
    if (f.own_neutral)
        out << FindingWords::tr("Held against what was marked as right for this student.");
    else if (own && own->of_clip)
        out << FindingWords::tr("Held against a moment of this very clip that was marked as right: nothing is praised for it.");
    else if (const auto* info = measure_info(f.measure); info && info->habit)
        out << FindingWords::tr("Held against the quiet stand of this clip: what is there all the time does not show.");
    if (check && check->reference) out << FindingWords::tr("Held against the reference figure at the same moment of the movement.");
    if (check && !check->phases.empty()) {
        QStringList phases;
        for (const auto& p : check->phases) phases << phase(review.movement, p);
        out << FindingWords::tr("Looked at in: %1.").arg(phases.join(QStringLiteral(", ")));
    }
    return out;
}

QString asked(const Finding& f, const Check* check, const Units& units) {
    const QString unit = QString::fromStdString(f.unit);
    QString line = FindingWords::tr("Band in force: %1, set by %2.").arg(band(f.low, f.high, unit, units), band_owner(f.whose));
    if (!f.reason.empty()) line += QLatin1Char(' ') + said(f.reason);
    if (check && check->stack.size() > 1) {
        const auto& before = check->stack[check->stack.size() - 2];
        if (before.low || before.high)
            line += QLatin1Char(' ') + FindingWords::tr("Without it: %1.").arg(band(before.low, before.high, unit, units));
    }
    if (f.widened) line += QLatin1Char(' ') + FindingWords::tr("It is wider here, since this clip can tell no finer.");
    return line;
}

QStringList how_sure(const Finding& f, const Review& review, const Units& units) {
    const QString unit = QString::fromStdString(f.unit);
    QStringList out{
        FindingWords::tr("Figure: %1 over %2; error of the moments ± %3, of the clip ± %4, of where the points sit on this person ± %5.")
            .arg(with_sigma(f.value, f.sigma, unit, units),
                 f.judged == 1 ? FindingWords::tr("1 repetition") : FindingWords::tr("%1 repetitions").arg(f.judged),
                 bare(f.own, unit, units), bare(f.clip, unit, units), bare(f.person, unit, units))};
    if (!review.partner) return out;
    const auto& other = f.of_clip == 1 ? review : *review.partner;
    out << FindingWords::tr("Told by the clip %1.").arg(view(review.of(f).motion.view));
    if (f.other)
        out << (f.contradicted() ? FindingWords::tr("The clip %1 says otherwise: %2. Look at both pictures before you say it.")
                                 : FindingWords::tr("The clip %1 tells it less surely: %2."))
                   .arg(view(other.motion.view), with_sigma(f.other->value, f.other->sigma(), unit, units));
    return out;
}

QStringList by_part(const Finding& f, const Review& review, const Units& units) {
    const QString unit = QString::fromStdString(f.unit);
    QStringList out;
    for (const auto& p : f.phases) {
        const QString figures = with_sigma(p.value, p.sigma, unit, units);
        out << (p.verdict == Verdict::outside
                    ? FindingWords::tr("%1: %2, outside, at %3").arg(phase(review.movement, p.phase), figures, time(p.time_s))
                : p.low == f.low && p.high == f.high
                    ? QStringLiteral("%1: %2").arg(phase(review.movement, p.phase), figures)
                    : FindingWords::tr("%1: %2, where the figure itself asks for %3")
                          .arg(phase(review.movement, p.phase), figures, band(p.low, p.high, unit, units)));
    }
    return out;
}

QStringList hangs_with(const Finding& f, const Review& review, const Catalogue& c) {
    QStringList higher, lower, out;
    for (const auto& g : review.findings) {
        if (std::find(f.cause_of.begin(), f.cause_of.end(), g.check) != f.cause_of.end() && g.verdict == Verdict::outside)
            higher << fault(g, c);
        if (std::find(g.cause_of.begin(), g.cause_of.end(), f.check) != g.cause_of.end()) lower << fault(g, c);
    }
    higher.removeDuplicates();
    lower.removeDuplicates();
    if (!lower.isEmpty()) out << FindingWords::tr("May come from: %1.").arg(lower.join(QStringLiteral("; ")));
    if (!higher.isEmpty()) out << FindingWords::tr("May be the cause of: %1.").arg(higher.join(QStringLiteral("; ")));
    return out;
}

} // namespace

QString repetitions(const Finding& f) {
    const auto bad = static_cast<int>(f.repetitions.size());
    if (f.judged == 0 || !f.part.empty()) return {}; // a part of a form is done once; in how many parts is said by where()
    if (bad == 0) return f.judged == 1 ? FindingWords::tr("1 repetition") : FindingWords::tr("%1 repetitions").arg(f.judged);
    if (bad == f.judged && bad > 1) return FindingWords::tr("in all %1 repetitions").arg(bad);
    return FindingWords::tr("in %1 of %2 repetitions").arg(bad).arg(f.judged);
}

QString band_owner(BandLevel l) {
    switch (l) {
    case BandLevel::rule:
        return FindingWords::tr("the rule");
    case BandLevel::stance:
        return FindingWords::tr("the stance");
    case BandLevel::movement:
        return FindingWords::tr("the movement");
    case BandLevel::school:
        return FindingWords::tr("the school");
    case BandLevel::phase:
        return FindingWords::tr("this phase of the movement");
    case BandLevel::student:
        return FindingWords::tr("what is agreed with the student");
    case BandLevel::clip:
        break;
    }
    return FindingWords::tr("this clip");
}

std::vector<WhyPart> why(const Finding& f, const Review& review, const Catalogue& c, const Units& units) {
    std::vector<WhyPart> out;
    const QString unit = QString::fromStdString(f.unit);
    const Check* check = nullptr;
    for (const auto& k : review.movement.checks)
        if (k.id == f.check && k.part == f.part) check = &k;
    out.push_back({FindingWords::tr("What is looked at"), looked_at(f, check, review, c)});
    if (f.low || f.high) out.push_back({FindingWords::tr("What is asked"), {asked(f, check, units)}});
    if (f.verdict == Verdict::cannot_tell) {
        QStringList lines{FindingWords::tr("Cannot be told: %1.").arg(absent(f.absent))};
        if (!f.film.empty()) lines << said(f.film);
        out.push_back({FindingWords::tr("Why not"), lines});
        return out;
    }
    out.push_back({FindingWords::tr("How sure it is"), how_sure(f, review, units)});
    if (const QStringList lines = by_part(f, review, units); !lines.isEmpty()) out.push_back({FindingWords::tr("Where it shows"), lines});
    QStringList each;
    for (const auto& o : f.outcomes) each << FindingWords::tr("%1 at %2").arg(figure(o.value, unit, units), time(o.time_s));
    QStringList times;
    if (!each.isEmpty()) times << FindingWords::tr("Repetition by repetition: %1.").arg(each.join(QStringLiteral("; ")));
    if (f.share_outside > 0)
        times << FindingWords::tr("Outside the band for %1 of those moments.").arg(figure(f.share_outside, QStringLiteral("1")));
    if (!times.isEmpty()) out.push_back({FindingWords::tr("Each time"), times});
    if (const QStringList lines = hangs_with(f, review, c); !lines.isEmpty())
        out.push_back({FindingWords::tr("What it hangs together with"), lines});
    return out;
}

QString aim(const Finding& f, const Units& units) {
    const QString s = band(f.low, f.high, QString::fromStdString(f.unit), units);
    return f.reference ? FindingWords::tr("%1 against the reference").arg(s) : s;
}

QString praise(const Finding& f, const Movement& m) {
    if (f.verdict != Verdict::inside || f.good.empty() || (!f.sure && f.sure_phase.empty())) return {};
    return f.sure
               ? said(f.good)
               : FindingWords::tr("In “%1”: %2", "a part of the movement, a sentence of praise").arg(phase(m, f.sure_phase), said(f.good));
}

QString where(const std::vector<const Finding*>& remark, const Movement& m, bool sides) {
    QStringList out;
    // Of a linked form: in which of its parts; where in them is said by each.
    std::vector<std::string> parts;
    for (const auto* f : remark)
        if (!f->part.empty() && std::find(parts.begin(), parts.end(), f->part) == parts.end()) parts.push_back(f->part);
    if (!parts.empty()) {
        QStringList names;
        for (const auto& p : parts)
            names << FindingWords::tr("%1 (%2)", "name and number of a part").arg(part_name(m, p), QString::fromStdString(p));
        if (names.size() > 3)
            return FindingWords::tr("in %n part(s), most in %1", nullptr, static_cast<int>(names.size())).arg(names.front());
        return names.size() == 1 ? FindingWords::tr("in %1 alone").arg(names.front())
                                 : FindingWords::tr("in %1", "parts of a form").arg(names.join(QStringLiteral(", ")));
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
    if (sides && left && right) out << FindingWords::tr("both sides");
    if (phases && ids.size() >= told && ids.size() > 2)
        out << FindingWords::tr("in every part, most in “%1”").arg(phase(m, ids.front()));
    else if (!ids.empty()) {
        QStringList names;
        for (const auto& id : ids) names << FindingWords::tr("“%1”", "a part of the movement").arg(phase(m, id));
        out << (names.size() == 1 ? FindingWords::tr("in %1 alone").arg(names.front())
                                  : FindingWords::tr("most in %1, in %2 too").arg(names.front(), names.mid(1).join(QStringLiteral(", "))));
    }
    return out.join(QStringLiteral("; "));
}

QString headline(const Finding& f, const Catalogue& c, const Units& units) {
    if (f.by_hand)
        return f.side ? FindingWords::tr("Seen: %1, %2").arg(family(f.family), side(*f.side))
                      : FindingWords::tr("Seen: %1").arg(family(f.family));
    QString name = c.name(QString::fromStdString(f.measure));
    if (f.side) name = FindingWords::tr("%1, %2").arg(name, side(*f.side));
    if (f.verdict == Verdict::cannot_tell) return name;
    const QString unit = QString::fromStdString(f.unit);
    if (f.reference) // said as a difference
        return f.value < 0 ? FindingWords::tr("%1: %2 less than the reference").arg(name, figure(-f.value, unit, units))
                           : FindingWords::tr("%1: %2 more than the reference").arg(name, figure(f.value, unit, units));
    return FindingWords::tr("%1: %2").arg(name, figure(f.value, unit, units));
}

QString caution_of(const Finding& f) {
    const Rule* rule = rule_book().find(f.rule);
    return rule && !rule->cautions.empty() ? caution(QString::fromStdString(rule->cautions.front())) : QString();
}

QString fault(const Finding& f, const Catalogue& c, bool both_sides) {
    if (f.by_hand || f.verdict == Verdict::cannot_tell) return headline(f, c);
    const Check* check = known_check(f.check);
    const std::string words = !check ? std::string() : f.direction == Direction::low ? check->fault_low : check->fault_high;
    QString s = c.name(QString::fromStdString(f.measure));
    if (f.direction != Direction::none && !words.empty())
        s = said(words);
    else if (f.direction != Direction::none)
        s = (f.direction == Direction::low ? FindingWords::tr("%1: less than asked") : FindingWords::tr("%1: more than asked")).arg(s);
    if (both_sides) return FindingWords::tr("%1, on both sides", "what is seen").arg(s);
    return f.side ? FindingWords::tr("%1, %2").arg(s, side(*f.side)) : s;
}

} // namespace bevel::ui::text
