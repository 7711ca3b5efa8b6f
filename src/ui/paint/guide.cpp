#include "ui/paint/guide.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/theme.h"
#include "ui/text/text.h"
#include <cmath>
#include <QBuffer>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct GuideWords {
    Q_DECLARE_TR_FUNCTIONS(guide)
};

/// From above: where the student stands and faces, and where the phone is put for each of the best views.
QImage plan(const Movement& movement) {
    const Theme theme;
    const Palette& c = theme.palette;
    QImage im(880, 560, QImage::Format_RGB32);
    im.fill(Qt::white);
    QPainter p(&im);
    p.setRenderHint(QPainter::Antialiasing);
    const QPointF student(440, 240);
    const double away = 190;
    p.setPen(QPen(c.line, 2, Qt::DashLine));
    p.drawEllipse(student, 90, 90); // the room that the movement takes
    p.setPen(QPen(c.ink, 3));
    p.setBrush(c.band);
    p.drawEllipse(student, 46, 26);
    p.setBrush(c.ink);
    p.drawPolygon(QPolygonF({student + QPointF(-14, 40), student + QPointF(14, 40), student + QPointF(0, 66)})); // faces down the page
    p.setFont(theme.font(15));
    std::vector<View> views = movement.best_views;
    if (views.empty()) views.push_back(View::front);
    for (std::size_t i = 0; i < views.size(); ++i) {
        // Seen from above and facing down the page, the student's left is on the right of it.
        const QPointF way = views[i] == View::front  ? QPointF(0, 1)
                            : views[i] == View::back ? QPointF(0, -1)
                            : views[i] == View::left ? QPointF(1, 0)
                                                     : QPointF(-1, 0);
        const QPointF at = student + QPointF(way.x() * away * 1.5, way.y() * away);
        p.setPen(QPen(c.accent, 2, Qt::DotLine));
        p.drawLine(at - way * 26, student + way * 60);
        p.setPen(QPen(c.accent, 3));
        p.setBrush(Qt::white);
        p.drawRoundedRect(QRectF(at.x() - 22, at.y() - 13, 44, 26), 5, 5);
        p.setPen(c.ink);
        p.drawText(QRectF(at.x() - 140, at.y() + 16, 280, 52), Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap,
                   GuideWords::tr("%1. phone %2").arg(i + 1).arg(text::view(views[i])));
    }
    return im;
}

QStringList steps(const Movement& movement) {
    QStringList views;
    for (const View v : movement.best_views) views << text::view(v);
    QStringList out;
    out << GuideWords::tr("Put the phone sideways on a shelf or stand at the height of your hips, level, and let it stand still.");
    out << GuideWords::tr("About three metres away. The whole of you is in the picture, raised hands too, with floor below both feet.");
    if (!views.isEmpty()) out << GuideWords::tr("Film %1: a clip for each.").arg(views.join(GuideWords::tr(", then ")));
    out << GuideWords::tr("Light from the side of the phone, not from behind you. You are alone in the picture.");
    out << GuideWords::tr(
        "Trousers that show your knees; shoes as you practise in them. Something upright in the picture, as a door frame, helps.");
    out << GuideWords::tr(
        "Stand quietly for two seconds. Then the movement, %n time(s) to each side, as you always do it. Stand quietly again.", nullptr,
        std::max(2, movement.repetitions));
    out << GuideWords::tr("Say if something hurts or is different today. A film does not show it.");
    return out;
}

QString guide_body(const Movement& movement, const QString& picture) {
    QString h = QStringLiteral("<h1>%1</h1>").arg(GuideWords::tr("How to film: %1").arg(said(movement.name)).toHtmlEscaped());
    h += QStringLiteral("<p><img alt=\"%1\" width=\"440\" src=\"%2\"></p><ol>")
             .arg(GuideWords::tr("From above: you in the middle, the phone where it is put").toHtmlEscaped(), picture);
    for (const auto& s : steps(movement)) h += QStringLiteral("<li>%1</li>").arg(s.toHtmlEscaped());
    h += QStringLiteral("</ol><p><i>");
    h += text::cautions_for({}, &movement).join(QLatin1Char(' ')).toHtmlEscaped();
    return h + QStringLiteral("</i></p>");
}

} // namespace

QString guide_html(const Movement& movement) {
    QByteArray png;
    QBuffer out(&png);
    out.open(QIODevice::WriteOnly);
    plan(movement).save(&out, "PNG");
    return QStringLiteral("<!DOCTYPE html>\n<html lang=\"%1\"><head><meta charset=\"utf-8\"><title>%2</title><style>body{font-family:'Open "
                          "Sans',sans-serif;"
                          "font-size:1.4em;max-width:32em;margin:2em auto;padding:0 "
                          "1em;line-height:1.5;color:#2b2622;background:#fdfaf3}li{margin-bottom:.6em}"
                          "img{max-width:100%;height:auto}</style></head><body>%3</body></html>\n")
        .arg(spoken_language(), said(movement.name).toHtmlEscaped(),
             guide_body(movement, QStringLiteral("data:image/png;base64,") + QString::fromLatin1(png.toBase64())));
}

Result<QByteArray> guide_pdf(const Movement& movement) {
    PagePdf page;
    page.title = said(movement.name);
    page.font = Theme().font(15);
    page.across_mm = 18, page.along_mm = 16;
    page.images = {{QStringLiteral("plan"), plan(movement)}};
    page.html = guide_body(movement, QStringLiteral("plan"));
    return page_pdf(page);
}

} // namespace bevel::ui
