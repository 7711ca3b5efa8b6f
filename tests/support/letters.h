// A letter as it stands before it is painted.
#pragma once
#include "ui/paint/letter_document.h"

namespace bevel::test {

inline QImage canvas(int w, int h) {
    QImage im(w, h, QImage::Format_RGB32);
    im.fill(Qt::white);
    return im;
}

inline ui::LetterContent letter(int corrections) {
    using namespace ui;
    LetterContent c;
    c.student = QStringLiteral("Wen Adeyemi");
    c.instructor = QStringLiteral("Maren Oduya");
    c.place = QStringLiteral("Lantern Quay");
    c.movement = QStringLiteral("Gaze at the Moon");
    c.view = QStringLiteral("from the front");
    c.date = QDate(2026, 11, 12);
    c.opening = QStringLiteral("Dear Wen, thank you for your clip.");
    c.praise = QStringLiteral("The stance has a good width.");
    c.closing = QStringLiteral("Warm wishes,");
    for (int i = 0; i < corrections; ++i) {
        LetterItem item;
        item.moment = QStringLiteral("Pour the weight across, 0:04.0");
        item.cue = QStringLiteral("Correction number %1: let the knee look where the toes look & stay soft.").arg(i + 1);
        item.figure = QStringLiteral("Knee falls in, left: 12° (± 3°; aim: up to 6°), in 2 of 2 repetitions");
        item.caution = text::caution(QStringLiteral("knees"));
        item.still = item.reference = canvas(720, 496);
        c.items.push_back(item);
    }
    c.cautions << text::caution(QStringLiteral("general"));
    return c;
}

} // namespace bevel::test
