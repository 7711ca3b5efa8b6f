#include "ui/paint/class_sheet.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/theme.h"
#include "ui/text/class_words.h"
#include "ui/text/course_words.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui {
namespace {
struct SheetOfClass {
    Q_DECLARE_TR_FUNCTIONS(classes)
};
QString e(const QString& s) {
    return s.toHtmlEscaped();
}
QString head_row(const QStringList& heads) {
    QString h = QStringLiteral("<tr>");
    for (const auto& x : heads) h += QStringLiteral("<th align=\"left\">%1</th>").arg(e(x));
    return h + QStringLiteral("</tr>");
}
QString row(const QStringList& cells) {
    QString h = QStringLiteral("<tr>");
    for (const auto& x : cells) h += QStringLiteral("<td>%1</td>").arg(e(x));
    return h + QStringLiteral("</tr>");
}
const QString table = QStringLiteral("<table width=\"100%\" cellspacing=\"0\" cellpadding=\"4\" border=\"1\">");

/// The cautions of a plan, each once.
QString cautions(const Plan& plan) {
    QStringList all;
    for (const auto& i : plan.items)
        for (const auto& c : i.cautions) all << text::caution(QString::fromStdString(c));
    all << text::caution(QStringLiteral("general"));
    all.removeDuplicates();
    QString h;
    for (const auto& c : all) h += QStringLiteral("<p><b>%1</b></p>").arg(e(c));
    return h;
}
} // namespace

QString leader_html(const ClassSheet& sheet, const Lesson& lesson, const Plan& plan, const std::vector<Movement>& movements,
                    const Catalogue& catalogue) {
    const auto there = there_on(sheet, lesson);
    const auto instead = instead_of(plan, there, movements);
    QString h =
        QStringLiteral("<h2>%1</h2><p>%2</p>")
            .arg(e(QString::fromStdString(sheet.group.name)), e(SheetOfClass::tr("%1 · %2 · for whoever leads; it names limits of people")
                                                                    .arg(text::day(lesson.day, true), text::class_when(sheet.group))));
    h += table + head_row({QString(), SheetOfClass::tr("Name"), SheetOfClass::tr("May not"), SheetOfClass::tr("Today")});
    for (const auto& m : sheet.members) {
        const auto at = std::find_if(lesson.people.begin(), lesson.people.end(), [&](const auto& p) { return p.person == m.person.id; });
        const bool here = at != lesson.people.end() && at->here;
        h += row({here ? QStringLiteral("☐") : QStringLiteral("–"), QString::fromStdString(m.person.name), text::limits_of(m, catalogue),
                  here ? text::today_words(at->today) : SheetOfClass::tr("away")});
    }
    h += QStringLiteral("</table><br>") + table +
         head_row({SheetOfClass::tr("Min"), SheetOfClass::tr("All"), QString(), SheetOfClass::tr("Instead")});
    double minute = 0;
    for (std::size_t k = 0; k < plan.items.size(); ++k) {
        const auto& i = plan.items[k];
        if (i.part != PlanPart::settling)
            h += row({QString::number(std::lround(std::floor(minute / 60))), text::item_title(i, movements), text::item_amount(i),
                      text::instead_of_whom(instead[k], i, sheet, there, movements)});
        minute += i.seconds();
    }
    return h + QStringLiteral("</table>") + cautions(plan);
}

QString class_html(const ClassSheet& sheet, const std::string& today, const Forms& forms, const Catalogue& catalogue,
                   const std::vector<CommonFault>& common) {
    constexpr std::size_t lessons_told = 3, common_told = 6, weeks_told = 4;
    const auto& g = sheet.group;
    const auto heading = [](const QString& words) { return QStringLiteral("<h3>%1</h3>").arg(e(words)); };
    const auto line = [](const QString& words) { return QStringLiteral("<p>%1</p>").arg(e(words)); };
    QString h = QStringLiteral("<h2>%1</h2>").arg(e(QString::fromStdString(g.name)));
    h += line(
        SheetOfClass::tr("%1 · as of %2 · for whoever leads; it names limits of people").arg(text::class_when(g), text::day(today, true)));
    if (!g.floor.empty()) h += line(SheetOfClass::tr("Floor: %1").arg(QString::fromStdString(g.floor)));
    if (!g.level.empty()) h += line(SheetOfClass::tr("Level: %1").arg(QString::fromStdString(g.level)));
    if (!g.taught.empty()) h += line(SheetOfClass::tr("Taught up to: %1").arg(QString::fromStdString(g.taught)));
    if (!g.notes.empty()) h += line(QString::fromStdString(g.notes));
    h += table + head_row({SheetOfClass::tr("Name"), SheetOfClass::tr("May not"), SheetOfClass::tr("Balance")});
    for (const auto& m : sheet.members)
        h += row({QString::fromStdString(m.person.name), text::limits_of(m, catalogue),
                  m.facts.balance_step > 0 ? text::balance_step(m.facts.balance_step) : QString()});
    h += QStringLiteral("</table>");
    if (const auto week = sheet.week_of(today)) {
        const auto& made = week->first->made;
        h += heading(SheetOfClass::tr("Course: %1, week %2 of %3")
                         .arg(QString::fromStdString(week->first->title))
                         .arg(week->second + 1)
                         .arg(made.weeks.size()));
        h += table + head_row({SheetOfClass::tr("Week"), SheetOfClass::tr("New"), SheetOfClass::tr("Again")});
        for (std::size_t w = week->second; w < std::min(made.weeks.size(), week->second + weeks_told); ++w) {
            const auto* fresh = made.fresh_in(w);
            QStringList again;
            for (const auto& t : made.threads)
                if (t.beats[w] == Beat::returns || t.beats[w] == Beat::recalled)
                    again << text::thread_title(t, *forms.movements, *forms.linked);
            h += row({SheetOfClass::tr("%1, from %2", "number of a week, day").arg(w + 1).arg(text::day(made.weeks[w].from)),
                      fresh ? text::thread_title(*fresh, *forms.movements, *forms.linked) : text::week_kind(made.weeks[w].kind),
                      again.join(QStringLiteral(", "))});
        }
        h += QStringLiteral("</table>");
    }
    std::size_t told = 0;
    for (const auto& l : sheet.lessons) {
        if (!l.held || told == lessons_told) continue;
        if (told++ == 0) h += heading(SheetOfClass::tr("The last lessons"));
        QStringList names;
        for (const auto& id : movements_of(l))
            if (const auto m = forms.movement(id)) names << said(m->name);
        const auto here = std::count_if(l.people.begin(), l.people.end(), [](const LessonPerson& p) { return p.here; });
        h += line(SheetOfClass::tr("%1, %2 of %3 here: %4", "day, how many")
                      .arg(text::day(l.day, true))
                      .arg(here)
                      .arg(l.people.size())
                      .arg(names.join(QStringLiteral(", "))));
        if (!l.notes.empty()) h += line(QString::fromStdString(l.notes));
    }
    for (std::size_t k = 0; k < std::min(common.size(), common_told); ++k) {
        if (k == 0) h += heading(SheetOfClass::tr("What is common"));
        h += line(QStringLiteral("%1: %2").arg(text::missed(common[k], catalogue), text::how_many(common[k])));
    }
    return h + QStringLiteral("<p><b>%1</b></p>").arg(e(text::caution(QStringLiteral("general"))));
}

QString wall_html(const Plan& plan, const std::vector<Movement>& movements) {
    QString h = QStringLiteral("<h1>%1</h1>").arg(e(QString::fromStdString(plan.title)));
    h += table + head_row({SheetOfClass::tr("All"), QString(), SheetOfClass::tr("Or")});
    for (const auto& i : plan.items)
        if (i.part != PlanPart::settling)
            h += row({text::item_title(i, movements), text::item_amount(i), text::otherwise_words(i, movements)});
    return h + QStringLiteral("</table>") + cautions(plan);
}

Result<QByteArray> lesson_pdf(const QString& title, const QString& html) {
    PagePdf page;
    page.title = title;
    page.html = html;
    page.font = Theme().font(11);
    return page_pdf(page);
}

} // namespace bevel::ui
