// HTML text as A4 pages.
#pragma once
#include "core/result.h"
#include <map>
#include <QByteArray>
#include <QFont>
#include <QImage>
#include <QString>

namespace bevel::ui {

struct PagePdf {
    QString title, html;
    QFont font;
    std::map<QString, QImage> images; // by the name they are asked for in the text
    bool landscape = false;
    double across_mm = 16, along_mm = 14; // margins
};
Result<QByteArray> page_pdf(const PagePdf& page);

} // namespace bevel::ui
