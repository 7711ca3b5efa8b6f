#include "ui/paint/page_pdf.h"
#include <QBuffer>
#include <QPageLayout>
#include <QPageSize>
#include <QPdfWriter>
#include <QTextDocument>
#include <QUrl>

namespace bevel::ui {

Result<QByteArray> page_pdf(const PagePdf& page) {
    QByteArray bytes;
    QBuffer out(&bytes);
    out.open(QIODevice::WriteOnly);
    {
        QPdfWriter pdf(&out);
        pdf.setPageSize(QPageSize(QPageSize::A4));
        if (page.landscape) pdf.setPageOrientation(QPageLayout::Landscape);
        pdf.setPageMargins(QMarginsF(page.across_mm, page.along_mm, page.across_mm, page.along_mm), QPageLayout::Millimeter);
        pdf.setTitle(page.title);
        pdf.setCreator(QStringLiteral("Bevel"));
        QTextDocument doc;
        doc.setDefaultFont(page.font);
        for (const auto& [name, image] : page.images) doc.addResource(QTextDocument::ImageResource, QUrl(name), image);
        doc.setHtml(page.html);
        doc.print(&pdf);
    }
    if (bytes.size() < 1000) return fail(Code::write_failed, "PDF");
    return bytes;
}

} // namespace bevel::ui
