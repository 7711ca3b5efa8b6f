// The letter's pages: where the corrections stand on them, one of them alone and large, as few pages as it can take.
#include "support/letters.h"
#include <QTest>

using namespace bevel;
using namespace bevel::ui;
using test::letter;

namespace {

/// How much of a part of a picture is not white.
double inked(const QImage& im, const QRectF& part) {
    int dark = 0, all = 0;
    for (int y = static_cast<int>(part.top()); y < static_cast<int>(part.bottom()); ++y)
        for (int x = static_cast<int>(part.left()); x < static_cast<int>(part.right()); ++x) {
            ++all;
            dark += qGray(im.pixel(x, y)) < 250;
        }
    return all > 0 ? static_cast<double>(dark) / all : 0;
}

QImage page_of(const LetterContent& c, int page) {
    QImage im(595, 842, QImage::Format_RGB32);
    im.fill(Qt::white);
    QPainter p(&im);
    paint_letter_page(p, c, page, Theme());
    return im;
}

} // namespace

class TestPage : public QObject {
    Q_OBJECT

private slots:
    void every_correction_stands_where_it_is_said_to_stand() {
        for (const int many : {0, 1, 2, 3})
            for (const bool large : {false, true}) {
                LetterContent c = letter(many);
                c.large = large;
                const auto places = letter_places(c);
                QCOMPARE(places.size(), static_cast<std::size_t>(many));
                const QRectF paper(0, 0, 595, 842);
                for (std::size_t i = 0; i < places.size(); ++i) {
                    QVERIFY(places[i].page >= 0 && places[i].page < letter_pages(c));
                    QVERIFY(paper.contains(places[i].box) && places[i].box.height() > 100);
                    if (i > 0 && places[i].page == places[i - 1].page) QVERIFY(places[i].box.top() >= places[i - 1].box.bottom());
                    if (i > 0) QVERIFY(places[i].page >= places[i - 1].page);
                    // There is something in the box, and what it is goes with the correction.
                    const double there = inked(page_of(c, places[i].page), places[i].box);
                    QVERIFY(there > 0.05);
                    LetterContent without = c;
                    without.items[static_cast<int>(i)].still = without.items[static_cast<int>(i)].reference = {};
                    without.items[static_cast<int>(i)].cue.clear();
                    QVERIFY(letter_places(without)[i].box.height() < places[i].box.height());
                }
            }
    }

    void a_page_is_not_begun_for_a_few_lines() {
        LetterContent c = letter(2);
        int saved = 0, pages = 0;
        for (int words = 0; words < 60; ++words) { // growing past the foot of the page
            c.closing += QStringLiteral(" and once more, slowly, from the feet up;");
            const int now = letter_pages(c);
            QVERIFY(now >= pages); // more words never take fewer pages
            pages = now;
            const auto places = letter_places(c);
            // The stills are smaller only where that saves a page, and stay large enough to be seen.
            const double tall = places[0].box.height();
            QVERIFY2(tall > 114 / 0.8, qPrintable(QString::number(tall)));
            LetterContent brief = c;
            brief.closing.clear();
            if (now == 1 && tall < letter_places(brief)[0].box.height() - 1) ++saved;
        }
        QVERIFY(pages >= 2);
        QVERIFY(saved > 0);
    }

    void one_alone_has_all_its_words_and_fits_its_column() {
        LetterContent c = letter(3);
        c.items[1].drill = QStringLiteral("Foot alone. Set it, and set it again.");
        c.items[1].homework = QStringLiteral("Gaze at the Moon: twice a day");
        QCOMPARE(words_of_item(c, 1).size(), 6); // moment, cue, figure, drill, homework, caution
        QVERIFY(words_of_item(c, 1).join(QLatin1Char(' ')).contains(QStringLiteral("twice a day")));
        QVERIFY(words_of_item(c, 3).isEmpty() && words_of_item(c, -1).isEmpty());
        for (const double width : {120.0, 260.0, 400.0, 700.0}) {
            QImage im(static_cast<int>(width) + 40, 3000, QImage::Format_RGB32);
            im.fill(Qt::white);
            QPainter p(&im);
            const double tall = paint_letter_item(p, c, 1, width, Theme(), false);
            QCOMPARE(inked(im, im.rect()), 0.0); // measured only
            QCOMPARE(paint_letter_item(p, c, 1, width, Theme(), true), tall);
            p.end();
            QVERIFY(tall < 2900);
            QVERIFY(inked(im, QRectF(0, 0, width, tall)) > 0.1);
            QCOMPARE(inked(im, QRectF(width + 2, 0, 38, 3000)), 0.0); // nothing beside the column
            QCOMPARE(inked(im, QRectF(0, tall + 6, width, 2990 - tall)), 0.0);
        }
        QImage im(8, 8, QImage::Format_RGB32);
        QPainter p(&im);
        QCOMPARE(paint_letter_item(p, c, 3, 300, Theme(), true), 0.0); // there is no fourth
        LetterContent bare = c;
        bare.items[1].still = bare.items[1].reference = {};
        QVERIFY(paint_letter_item(p, bare, 1, 300, Theme(), false) < paint_letter_item(p, c, 1, 300, Theme(), false) - 100);
    }
};

QTEST_MAIN(TestPage)
#include "test_page.moc"
