#include "ui/paint/practice_sheet.h"
#include "core/form/pieces.h"
#include "ui/paint/card.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/practice_picture.h"
#include "ui/paint/theme.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QBuffer>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct SheetWords {
    Q_DECLARE_TR_FUNCTIONS(practice)
};

using Pictures = std::map<std::string, std::vector<QImage>>;

/// Each movement once: a picture at the end of each phase.
Pictures pictures_of(const Plan& plan, const std::vector<Movement>& movements) {
    Pictures out;
    std::set<std::pair<std::string, int>> parts;
    for (const auto& i : plan.items) {
        if (i.part == PlanPart::settling || i.part == PlanPart::closing) continue;
        for (const auto& id : i.sequence.empty() ? std::vector<std::string>{i.movement} : i.sequence)
            if (const Movement* m = movement_of(i, movements, id); m && !out.contains(drawn_id(*m))) {
                // Of a form every part once, in whichever piece it comes first.
                if (const auto piece = PieceId::read(m->id)) {
                    bool fresh = false;
                    for (int k = piece->from; k <= piece->to; ++k) fresh = parts.emplace(piece->form, k).second || fresh;
                    if (!fresh) continue;
                }
                out[drawn_id(*m)] = phase_pictures(*m, 150, 250);
            }
    }
    return out;
}

QString sheet_body(const Plan& plan, const std::vector<Movement>& movements, const Pictures& pictures,
                   const std::function<QString(const std::string&, std::size_t)>& source, int wide) {
    auto e = [](const QString& s) { return s.toHtmlEscaped(); };
    const QString title = plan.title.empty() ? SheetWords::tr("Practice") : QString::fromStdString(plan.title);
    QString h = QStringLiteral("<h1>%1</h1>").arg(e(title));
    if (!plan.person.empty()) h += QStringLiteral("<p>%1</p>").arg(e(SheetWords::tr("For %1").arg(QString::fromStdString(plan.person))));
    h += QStringLiteral("<p>%1</p>")
             .arg(e(SheetWords::tr("%n minute(s) in all.", nullptr, static_cast<int>(std::lround(plan.total_s() / 60)))));
    std::set<std::string> shown;
    int number = 0;
    for (const auto& i : plan.items) {
        if (i.part == PlanPart::settling) {
            h += QStringLiteral("<p><i>%1</i></p>").arg(e(text::item_title(i, movements)));
            continue;
        }
        h += QStringLiteral("<h2>%1. %2</h2><p>%3 · %4</p>")
                 .arg(++number)
                 .arg(e(text::item_title(i, movements)), e(text::item_amount(i)), e(text::minutes_words(i.practice_s)));
        if (i.support) h += QStringLiteral("<p><b>%1</b></p>").arg(e(text::first_large(text::balance_step(i.ladder)) + QLatin1Char('.')));
        if (!i.let_in.empty())
            h += QStringLiteral("<p><b>%1</b></p>")
                     .arg(e(SheetWords::tr("Let in by the instructor: %1").arg(QString::fromStdString(i.let_in))));
        for (const auto& c : i.cautions) h += QStringLiteral("<p><b>%1</b></p>").arg(e(text::caution(QString::fromStdString(c))));
        const Movement* first = movement_named(movements, i.movement);
        if (first && !i.drill.empty())
            for (const auto& d : first->drills)
                if (d.name == i.drill) h += QStringLiteral("<p>%1</p>").arg(e(said(d.about)));
        if (first && !i.version.empty())
            for (const auto& v : first->versions)
                if (v.name == i.version) h += QStringLiteral("<p>%1</p>").arg(e(said(v.about)));
        for (const auto& id : i.sequence.empty() ? std::vector<std::string>{i.movement} : i.sequence) {
            const Movement* m = movement_of(i, movements, id);
            const auto it = m ? pictures.find(drawn_id(*m)) : pictures.end();
            if (it == pictures.end() || !shown.insert(it->first).second) continue; // drawn once
            h += QStringLiteral("<table cellspacing=\"0\" cellpadding=\"3\"><tr>");
            const auto piece = PieceId::read(m->id);
            std::size_t cells = 0;
            for (std::size_t k = 0; piece && k < m->part_names.size() && k < it->second.size(); ++k) {
                const auto part = piece->from + static_cast<int>(k);
                if (!shown.insert(QStringLiteral("%1/%2").arg(QString::fromStdString(piece->form)).arg(part).toStdString()).second)
                    continue;
                if (cells > 0 && cells % 5 == 0) h += QStringLiteral("</tr><tr>");
                ++cells;
                h += QStringLiteral(
                         "<td valign=\"top\" align=\"center\"><img alt=\"\" width=\"%1\" src=\"%2\"><br><small>%3. %4</small></td>")
                         .arg(wide)
                         .arg(source(it->first, k))
                         .arg(part)
                         .arg(e(said(m->part_names[k])));
            }
            for (std::size_t k = 0; !piece && k < m->phases.size() && k < it->second.size(); ++k) {
                if (k > 0 && k % 5 == 0) h += QStringLiteral("</tr><tr>");
                const auto& p = m->phases[k];
                const QString breath = p.breath == Breath::in    ? SheetWords::tr("in")
                                       : p.breath == Breath::out ? SheetWords::tr("out")
                                                                 : QString();
                h += QStringLiteral("<td valign=\"top\" align=\"center\"><img alt=\"\" width=\"%1\" src=\"%2\"><br><small>%3</small></td>")
                         .arg(wide)
                         .arg(source(it->first, k),
                              e(breath.isEmpty() ? said(p.name) : SheetWords::tr("%1 – breathe %2").arg(said(p.name), breath)));
            }
            h += QStringLiteral("</tr></table>");
            if (!m->attention.empty()) h += QStringLiteral("<p>%1</p>").arg(e(said(m->attention.front())));
        }
    }
    return h + QStringLiteral("<p>%1</p>").arg(e(text::caution(QStringLiteral("general"))));
}

} // namespace

QString practice_html(const Plan& plan, const std::vector<Movement>& movements, const SheetOptions& o) {
    const LanguageScope speaks(o.language);
    const Pictures pictures = o.figures ? pictures_of(plan, movements) : Pictures{};
    const auto inside = [&](const std::string& id, std::size_t k) {
        QByteArray png;
        QBuffer out(&png);
        out.open(QIODevice::WriteOnly);
        pictures.at(id)[k].save(&out, "PNG");
        return QStringLiteral("data:image/png;base64,") + QString::fromLatin1(png.toBase64());
    };
    return QStringLiteral(
               "<!DOCTYPE html>\n<html lang=\"%1\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width, "
               "initial-scale=1\"><title>%2</title><style>body{font-family:'Open Sans',sans-serif;font-size:%3;max-width:48em;margin:2em "
               "auto;padding:0 1em;line-height:1.45;color:#2b2622;background:#fdfaf3}table{width:100%}td{text-align:center;vertical-align:"
               "top}img{max-width:100%;height:auto}</style></head><body><main>%4</main></body></html>\n")
        .arg(spoken_language(), (plan.title.empty() ? SheetWords::tr("Practice") : QString::fromStdString(plan.title)).toHtmlEscaped(),
             o.large ? QStringLiteral("1.35em") : QStringLiteral("1em"), sheet_body(plan, movements, pictures, inside, 120));
}

Result<QByteArray> practice_pdf(const Plan& plan, const std::vector<Movement>& movements, const SheetOptions& o) {
    const LanguageScope speaks(o.language);
    const Pictures pictures = o.figures ? pictures_of(plan, movements) : Pictures{};
    PagePdf page;
    page.title = plan.title.empty() ? SheetWords::tr("Practice") : QString::fromStdString(plan.title);
    page.font = Theme().font(o.large ? 13 : 10.5);
    const auto name = [](const std::string& id, std::size_t k) { return QStringLiteral("%1-%2").arg(QString::fromStdString(id)).arg(k); };
    for (const auto& [id, all] : pictures)
        for (std::size_t k = 0; k < all.size(); ++k) page.images[name(id, k)] = all[k];
    page.html = sheet_body(plan, movements, pictures, name, 84);
    return page_pdf(page);
}

} // namespace bevel::ui
