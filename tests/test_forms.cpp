// Forms in the real window: found by name and kind, played from any side, with its phases, rules and faults.
#include "support/window_bench.h"
#include <cmath>
#include <QLineEdit>
#include <QListWidget>
#include <QSignalSpy>
#include <QSlider>
#include <QTableWidget>
#include <QTabWidget>
#include <QTextBrowser>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestForms : public QObject {
    Q_OBJECT
    test::Copy copy_;

    static ui::FormsPage* come(Bench& b) {
        b.window->show_place(b.window->place(QStringLiteral("forms")));
        return b.window->forms();
    }
    static bool drawn(ui::FormsPage* page) {
        return QTest::qWaitFor([&] { return page->figure().is_current(); }, 20000);
    }
    /// How much of the figure's view is darker than its paper, and where its middle is.
    static std::pair<double, double> figure_in(ui::FormsPage* page, double from, double to) {
        const QImage im = page->figure().grab().toImage().convertToFormat(QImage::Format_Grayscale8);
        double n = 0, x = 0;
        for (int y = 30; y < 0.6 * (im.height() - 100); ++y) // above its shadow
            for (int u = static_cast<int>(from * im.width()) + 2; u < to * im.width() - 2; ++u)
                if (im.constScanLine(y)[u] < 170) ++n, x += u;
        return {n / im.width() / im.height(), n > 0 ? x / n / im.width() : 0};
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void movements_are_found_by_any_name_kind_and_what_they_ask() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* list = page->findChild<QListWidget*>(QStringLiteral("forms"));
        auto* search = page->findChild<QLineEdit*>(QStringLiteral("searchForms"));
        QCOMPARE(list->count(), static_cast<int>(b.session.movements.size()));
        QVERIFY(list->count() >= 21);
        // By its English name, by pinyin with and without the tones, whatever the case.
        for (const char* words : {"crane spreads", "BÁI HÈ", "bai he liang"}) {
            search->setText(QString::fromUtf8(words));
            QCOMPARE(list->count(), 1);
            QCOMPARE(page->shown(), QStringLiteral("crane_spreads"));
        }
        search->setText(QStringLiteral("nothing like that"));
        QCOMPARE(list->count(), 0);
        search->clear();
        auto choose = [&](const char* box, const QVariant& data) {
            auto* c = page->findChild<QComboBox*>(QLatin1String(box));
            c->setCurrentIndex(c->findData(data));
        };
        choose("trains", QStringLiteral("balance"));
        choose("asks", 2); // easy on the balance
        for (int i = 0; i < list->count(); ++i) {
            const auto* m = b.session.movement(list->item(i)->data(Qt::UserRole).toString().toStdString());
            QVERIFY(m && m->asks_balance <= 1 && std::find(m->trains.begin(), m->trains.end(), "balance") != m->trains.end());
        }
        QVERIFY(list->count() >= 1 && list->count() < 6);
        choose("trains", QString());
        choose("asks", 0);
        choose("kind", QStringLiteral("tai chi"));
        for (int i = 0; i < list->count(); ++i)
            QCOMPARE(b.session.movement(list->item(i)->data(Qt::UserRole).toString().toStdString())->kind, std::string("tai chi"));
        choose("kind", QString());
    }
    void the_figure_plays_and_is_seen_from_every_side() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("draw_the_bow"));
        auto& figure = page->figure();
        QVERIFY(drawn(page));
        QVERIFY(figure_in(page, 0, 1).first > 0.02);
        // In the draw: the arm is out to the student's left, which is the picture's right from the front and its left from behind.
        page->findChild<QSlider*>(QStringLiteral("around"))->setValue(0);
        figure.set_time(3 + 2.0 + 2.6 + 0.3);
        QVERIFY(figure.phase().first >= 0 && figure.phase().second == Side::left);
        QVERIFY(drawn(page));
        const double front = figure_in(page, 0, 1).second;
        QTest::keyClick(page, Qt::Key_B);
        QVERIFY(drawn(page));
        QCOMPARE(std::abs(figure.azimuth()), 180.0);
        QTRY_VERIFY_WITH_TIMEOUT(figure_in(page, 0, 1).second < 0.5, 10000);
        QVERIFY2(front > 0.5, qPrintable(QString::number(front)));
        // Played, it goes on by itself and comes round; the phases go along.
        auto* play = page->findChild<QToolButton*>(QStringLiteral("playForm"));
        figure.set_time(3.2);
        play->click();
        QVERIFY(figure.plays());
        QTRY_VERIFY_WITH_TIMEOUT(figure.time() > 4.0, 10000);
        QVERIFY(figure.shown() > 2);
        play->click();
        QVERIFY(!figure.plays());
        auto* phases = page->findChild<QTableWidget*>(QStringLiteral("phases"));
        const auto* m = b.session.movement("draw_the_bow");
        QCOMPARE(phases->rowCount(), static_cast<int>(m->phases.size()));
        phases->setCurrentCell(1, 0);
        QCOMPARE(figure.phase().first, 1);
        // Leaving the place stops it.
        play->click();
        b.window->show_place(0);
        QVERIFY(!figure.plays());
    }
    void a_fault_stands_beside_the_right_one() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("separate_the_clouds"));
        page->findChild<QSlider*>(QStringLiteral("around"))->setValue(90); // from the student's left: forward is to the left
        auto& figure = page->figure();
        figure.set_time(3 + 2.8 + 1.4 + 3.0);
        auto* fault = page->findChild<QComboBox*>(QStringLiteral("fault"));
        auto* size = page->findChild<QSlider*>(QStringLiteral("faultSize"));
        QVERIFY(!size->isEnabled());
        fault->setCurrentIndex(fault->findText(QStringLiteral("fault: leans forward")));
        QVERIFY(size->isEnabled());
        size->setValue(100);
        QVERIFY(drawn(page));
        // Both are there, and the upper half of the faulty one is further forward.
        QVERIFY(figure_in(page, 0, 0.5).first > 0.01 && figure_in(page, 0.5, 1).first > 0.01);
        auto top = [&](double from, double to) {
            const QImage im = figure.grab().toImage().convertToFormat(QImage::Format_Grayscale8);
            double n = 0, x = 0, feet = 0, k = 0;
            const int h = im.height() - 100;
            // The upper half of the figure against the lower one.
            int first = h, last = 0;
            for (int y = 30; y < h; ++y)
                for (int u = static_cast<int>(from * im.width()) + 4; u < to * im.width() - 4; ++u)
                    if (im.constScanLine(y)[u] < 170) first = std::min(first, y), last = std::max(last, y);
            const int split = (first + last) / 2;
            for (int y = 30; y < h; ++y)
                for (int u = static_cast<int>(from * im.width()) + 4; u < to * im.width() - 4; ++u)
                    if (im.constScanLine(y)[u] < 170) (y < split ? (++n, x += u) : (++k, feet += u));
            return x / n - feet / k;
        };
        QVERIFY2(top(0.5, 1) < top(0, 0.5) - 4, qPrintable(QStringLiteral("%1 %2").arg(top(0.5, 1)).arg(top(0, 0.5))));
        fault->setCurrentIndex(0);
        QVERIFY(!size->isEnabled());
        QVERIFY(drawn(page));
    }
    void the_words_are_those_of_the_movement_and_its_rules() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("one_leg_stand"));
        const auto* m = b.session.movement("one_leg_stand");
        const QString about = page->findChild<QTextBrowser*>(QStringLiteral("aboutForm"))->toPlainText();
        for (const auto& s : {m->name, m->about, m->attention[0], m->images[0], m->drills[0].name, m->versions[0].about})
            QVERIFY2(about.contains(QString::fromStdString(s)), s.c_str());
        QVERIFY(about.contains(QStringLiteral("chair or wall in reach")));
        auto* rules = page->findChild<QTextBrowser*>(QStringLiteral("rulesOfForm"));
        const QString own = rules->toPlainText();
        for (const auto& c : m->checks) {
            const QString name = b.session.catalogue.name(QString::fromStdString(c.measure));
            QVERIFY2(own.contains(name), c.id.c_str());
        }
        // A school's bands are said to be a school's.
        page->show_movement(QStringLiteral("part_the_horses_mane"));
        const QString before = rules->toPlainText();
        auto* school = page->findChild<QComboBox*>(QStringLiteral("formSchool"));
        school->setCurrentIndex(school->findData(QStringLiteral("inclined")));
        QVERIFY(rules->toPlainText() != before);
    }
};

QTEST_MAIN(TestForms)
#include "test_forms.moc"
