#include "ui/text/class_words.h"
#include "ui/text/known_check.h"
#include "ui/text/practice_words.h"
#include <QCoreApplication>
#include <QLocale>
#include <QStringList>

namespace bevel::ui::text {
namespace {
struct ClassWords {
    Q_DECLARE_TR_FUNCTIONS(classes)
};
} // namespace

QString weekday(int day) {
    return day >= 1 && day <= 7 ? locale_now().dayName(day) : QString();
}

QString class_when(const ClassGroup& g) {
    QStringList words;
    const QString at = QString::fromStdString(g.at);
    if (g.weekday > 0 && !at.isEmpty())
        words << ClassWords::tr("%1 at %2", "weekday, time").arg(weekday(g.weekday), at);
    else if (g.weekday > 0 || !at.isEmpty())
        words << (g.weekday > 0 ? weekday(g.weekday) : at);
    if (!g.hall.empty()) words << QString::fromStdString(g.hall);
    words << ClassWords::tr("%1 min").arg(g.minutes);
    return words.join(QStringLiteral(", "));
}

QString part_of_body(const std::string& care) {
    if (care == "neck") return ClassWords::tr("neck");
    if (care == "low_back") return ClassWords::tr("low back");
    if (care == "shoulders") return ClassWords::tr("shoulders");
    if (care == "knees") return ClassWords::tr("knees");
    if (care == "wrists") return ClassWords::tr("wrists");
    return care == "hips" ? ClassWords::tr("hips") : QString::fromStdString(care);
}

QString today_words(const Today& t) {
    QStringList words;
    if (t.dizzy) words << ClassWords::tr("dizzy");
    if (t.unsteady) words << ClassWords::tr("unsteady");
    if (t.tired) words << ClassWords::tr("tired");
    for (const auto& c : t.care) words << part_of_body(c);
    return words.join(QStringLiteral(", "));
}

QString limits_of(const PersonNeeds& one, const Catalogue& catalogue) {
    QStringList words;
    for (const auto& a : one.agreements)
        if (!a.limit().empty()) words << check_name(a.check, catalogue);
    words.removeDuplicates();
    return words.join(QStringLiteral(", "));
}

QString instead(const Instead& x, const PlanItem& item, const std::vector<Movement>& movements) {
    QString words;
    switch (x.way) {
    case Instead::Way::as_led:
        return {};
    case Instead::Way::held:
    case Instead::Way::easier:
    case Instead::Way::another:
        words = otherwise(x.what, x.what.movement == item.movement, movements);
        break;
    case Instead::Way::rest:
        return otherwise({}, false, movements);
    }
    if (x.what.support && x.ladder > 0) return ClassWords::tr("%1 (%2)").arg(words, balance_step(x.ladder));
    return words;
}

QString instead_of_whom(const std::vector<Instead>& row, const PlanItem& item, const ClassSheet& sheet, const std::vector<InClass>& there,
                        const std::vector<Movement>& movements) {
    std::vector<std::pair<QString, QStringList>> ways;
    for (std::size_t k = 0; k < row.size() && k < there.size(); ++k) {
        const QString way = instead(row[k], item, movements);
        if (way.isEmpty()) continue;
        QString name;
        for (const auto& m : sheet.members)
            if (m.person.id == there[k].person) name = QString::fromStdString(m.person.name);
        const auto at = std::find_if(ways.begin(), ways.end(), [&](const auto& w) { return w.first == way; });
        if (at == ways.end())
            ways.push_back({way, {name}});
        else
            at->second << name;
    }
    QStringList words;
    for (const auto& [way, names] : ways)
        words << ClassWords::tr("%1: %2", "names, what they do").arg(names.join(QStringLiteral(", ")), way);
    return words.join(QStringLiteral("; "));
}

QString missed(const std::string& check, Direction direction, const Catalogue& catalogue) {
    const Check* c = known_check(check);
    const std::string words = !c ? std::string() : direction == Direction::low ? c->fault_low : c->fault_high;
    if (!words.empty()) return said(words);
    return (direction == Direction::low ? ClassWords::tr("%1: less than asked") : ClassWords::tr("%1: more than asked"))
        .arg(check_name(check, catalogue));
}

QString missed(const CommonFault& f, const Catalogue& catalogue) {
    return missed(f.check, f.direction, catalogue);
}

QString how_many(const CommonFault& f) {
    return ClassWords::tr("%1 of %2", "people").arg(f.missing).arg(f.told);
}

QString how_sure(const CommonFault& f) {
    if (f.least == f.most) return ClassWords::tr("sure");
    return ClassWords::tr("%1 to %2 by what their clips can tell").arg(f.least).arg(f.most);
}

QString share_change(const ShareChange& s) {
    const auto part = [](const CommonFault& f) { return f.told > 0 ? how_many(f) : ClassWords::tr("not told"); };
    const QString was = ClassWords::tr("%1 before, %2 since").arg(part(s.before), part(s.after));
    if (s.before.told == 0 || s.after.told == 0) return was;
    const double sure = std::max(s.fell, 1 - s.fell);
    if (sure < 0.95) return ClassWords::tr("%1: no change that can be told").arg(was);
    return (s.fell > 0.5 ? ClassWords::tr("%1: fewer") : ClassWords::tr("%1: more")).arg(was);
}

QString class_letter(const ClassSheet& sheet, const std::vector<CommonFault>& common, const std::vector<ShareChange>& changes,
                     const std::vector<Movement>& movements, const Catalogue& catalogue) {
    const auto first = std::find_if(common.begin(), common.end(), [](const CommonFault& f) { return f.told >= fewest_told; });
    if (first == common.end()) return {};
    QStringList out{ClassWords::tr("To all of %1,").arg(QString::fromStdString(sheet.group.name))};
    // What went well first: a share that fell for sure.
    for (const auto& c : changes)
        if (c.before.told >= fewest_told && c.after.told >= fewest_told && c.fell >= 0.95) {
            out << ClassWords::tr("Fewer of you than before show this: %1. Well done, and keep it.")
                       .arg(missed(c.check, c.direction, catalogue));
            break;
        }
    const Check* check = known_check(first->check);
    out << ClassWords::tr("One thing for all of us until the next lesson. In %1 clips this is seen: %2.")
               .arg(how_many(*first), missed(*first, catalogue));
    if (check) {
        const std::string cue = (first->direction == Direction::low ? check->cue_low : check->cue_high).usual;
        if (!cue.empty()) out << said(cue);
    }
    if (const Movement* m = movement_named(movements, first->movement)) {
        for (const auto& d : m->drills)
            if (std::find(d.rules.begin(), d.rules.end(), first->rule) != d.rules.end()) {
                out << ClassWords::tr("It is practised in %1 like this: %2").arg(said(m->name), said(d.about));
                break;
            }
    }
    out << caution(QStringLiteral("general"));
    return out.join(QStringLiteral("\n\n"));
}

} // namespace bevel::ui::text
