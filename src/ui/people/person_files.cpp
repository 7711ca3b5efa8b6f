#include "ui/people/person_files.h"
#include "ui/paint/page_pdf.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(bevel::ui::PeoplePage)
};

} // namespace

QString name_of(const FigureTrend& t, const Session& session) {
    const auto& p = t.points.back();
    QString name = session.catalogue.name(QString::fromStdString(p.measure));
    if (!p.side.empty()) name += QStringLiteral(", ") + text::side(p.side == "left" ? Side::left : Side::right);
    if (p.reference) name += Words::tr(" (against the reference)");
    return name;
}

QString change_of(const FigureTrend& t, const Session& session) {
    const auto& p = t.points.back();
    if (!t.last) return t.points.size() == 1 ? Words::tr("one clip so far") : Words::tr("filmed from another side, or another band");
    const QString unit = QString::fromStdString(p.unit);
    const Units units = session.settings.units(Motion{});
    const QString by = text::with_sigma(std::abs(t.last->value), t.last->sigma, unit, units);
    if (t.last->turn == Turn::better) return Words::tr("better by %1").arg(by);
    if (t.last->turn == Turn::worse) return Words::tr("worse by %1").arg(by);
    if (t.since_first && t.since_first->turn == Turn::better)
        return Words::tr("better since %1 by %2")
            .arg(text::day(t.points[newest_line(t).front()].day),
                 text::with_sigma(std::abs(t.since_first->value), t.since_first->sigma, unit, units));
    return Words::tr("no change that can be told: less than %1").arg(text::figure(t.last->detectable, unit, units));
}

std::pair<QString, QString> record_words(const RecordLine& l, const Session& session) {
    using What = RecordLine::What;
    const auto m = session.movement(l.movement);
    const QString movement = m ? said(m->name) : QString::fromStdString(l.movement);
    const auto view = view_from_name(l.view);
    QString what, words = QString::fromStdString(l.words);
    switch (l.what) {
    case What::clip:
        what = Words::tr("Clip");
        words = view ? Words::tr("%1, %2").arg(movement, text::view(*view)) : movement;
        break;
    case What::kept: {
        what = Words::tr("Correction");
        const QString name = text::check_name(l.check.substr(0, l.check.rfind('.')), session.catalogue);
        words = words.isEmpty() ? Words::tr("%1: %2").arg(movement, name) : Words::tr("%1: %2. “%3”").arg(movement, name, words);
        break;
    }
    case What::remark:
        what = Words::tr("Seen");
        break;
    case What::letter:
        what = Words::tr("Letter");
        break;
    case What::agreed:
        what = Words::tr("Agreed");
        words = Words::tr("%1: %2").arg(text::check_name(l.check, session.catalogue), words);
        break;
    case What::practice:
        what = Words::tr("Practice");
        words = Words::tr("%1 min · %2").arg(locale_now().toString(QString::fromStdString(l.side).toDouble(), 'f', 0), words);
        break;
    case What::day: {
        what = Words::tr("That day");
        QStringList parts;
        if (!l.side.empty()) parts << Words::tr("energy %1 of 10").arg(QString::fromStdString(l.side));
        if (!l.words.empty()) parts << Words::tr("pain: %1").arg(words);
        words = parts.join(QStringLiteral(" · "));
        break;
    }
    }
    return {what, words};
}

Result<QByteArray> record_pdf(const PersonSheet& sheet, const Session& session) {
    const auto e = [](const QString& s) { return s.toHtmlEscaped(); };
    QString h = QStringLiteral("<h1>%1</h1>").arg(e(Words::tr("Record of %1").arg(QString::fromStdString(sheet.person.name))));
    const auto table = [&](const QString& title, const QStringList& head, const std::vector<QStringList>& rows) {
        if (rows.empty()) return;
        h += QStringLiteral("<h2>%1</h2><table width=\"100%\" cellspacing=\"0\" cellpadding=\"3\"><tr>").arg(e(title));
        for (const auto& c : head) h += QStringLiteral("<th align=\"left\">%1</th>").arg(e(c));
        h += QStringLiteral("</tr>");
        for (const auto& r : rows) {
            h += QStringLiteral("<tr>");
            for (const auto& c : r) h += QStringLiteral("<td>%1</td>").arg(e(c));
            h += QStringLiteral("</tr>");
        }
        h += QStringLiteral("</table>");
    };
    std::vector<QStringList> agreed, changed, days;
    const Units units = session.settings.units(Motion{});
    for (const auto& a : sheet.agreements) agreed.push_back({text::agreement(a, session.catalogue, units)});
    for (const auto& t : sheet.trends) {
        const auto& now = t.points.back();
        const auto m = session.movement(now.movement);
        changed.push_back({m ? said(m->name) : QString::fromStdString(now.movement), name_of(t, session),
                           text::with_sigma(now.value, std::hypot(now.own, now.of_clip), QString::fromStdString(now.unit), units),
                           change_of(t, session)});
    }
    for (const auto& l : sheet.record) {
        const auto [what, words] = record_words(l, session);
        days.push_back({text::day(l.day, true), what, words});
    }
    table(Words::tr("Limits and agreements"), {QString()}, agreed);
    table(Words::tr("What changed"), {Words::tr("Movement"), Words::tr("Figure"), Words::tr("Now"), Words::tr("Change")}, changed);
    table(Words::tr("Record"), {Words::tr("Day"), Words::tr("What"), Words::tr("Words")}, days);
    h += QStringLiteral("<p>%1</p>").arg(e(text::caution(QStringLiteral("general"))));
    PagePdf page;
    page.title = Words::tr("Record of %1").arg(QString::fromStdString(sheet.person.name));
    page.html = h;
    page.font = session.theme.font(10);
    return page_pdf(page);
}

Result<QByteArray> hall_list_pdf(const std::vector<HallLine>& lines, const Catalogue& catalogue, const Theme& theme) {
    const auto e = [](const QString& s) { return s.toHtmlEscaped(); };
    const QString title = Words::tr("Who comes, and the one thing asked of each");
    QString h =
        QStringLiteral("<h2>%1</h2><table width=\"100%\" cellspacing=\"0\" cellpadding=\"5\" border=\"1\"><tr><th></th>").arg(e(title));
    for (const QString& head : {Words::tr("Name"), Words::tr("Asked"), Words::tr("With care")})
        h += QStringLiteral("<th align=\"left\">%1</th>").arg(e(head));
    h += QStringLiteral("</tr>");
    for (const auto& l : lines) {
        QString asked = QString::fromStdString(l.asked);
        if (const auto key = FindingKey::read(l.check); asked.isEmpty() && !l.check.empty()) {
            asked = text::check_name(key.check, catalogue);
            for (const auto& rule : rule_book().rules)
                for (const auto& rc : rule.checks)
                    if (rc.check.id == key.check)
                        asked = said((key.direction == Direction::low ? rc.check.cue_low : rc.check.cue_high).usual);
        }
        QStringList limits;
        for (const auto& a : l.limits) limits << text::check_name(a.check, catalogue);
        h += QStringLiteral("<tr><td>&#9744;</td><td>%1</td><td>%2</td><td>%3</td></tr>")
                 .arg(e(QString::fromStdString(l.name)), e(asked), e(limits.join(QStringLiteral(", "))));
    }
    h += QStringLiteral("</table><p>%1</p>").arg(e(Words::tr("For whoever leads the class; it names limits of people.")));
    PagePdf page;
    page.title = title;
    page.html = h;
    page.font = theme.font(11);
    return page_pdf(page);
}

} // namespace bevel::ui
