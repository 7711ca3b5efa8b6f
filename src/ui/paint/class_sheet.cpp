#include "ui/paint/class_sheet.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/theme.h"
#include "ui/text/class_words.h"
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
