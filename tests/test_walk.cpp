// A walk over all places and their tabs, in every language, also in made-up ones that are files: longer, with accents, from right to left.
#include "support/window_bench.h"
#include <QDir>
#include <QFile>
#include <QProcess>
#include <QRegularExpression>
#include <QSignalSpy>
#include <QTabWidget>
#include <QToolButton>
#include <QXmlStreamReader>
#include <QXmlStreamWriter>

using namespace bevel;
using test::Bench;

namespace {

/// A third longer, with accents; places for values, keys of menus and marks stay.
QString made_up(const QString& english) {
    static const QRegularExpression kept(QStringLiteral("%L?\\d+|%n|&amp;.|&.|<[^>]*>|\\{[^}]*\\}"));
    static const QHash<QChar, QChar> accents{{u'a', u'á'}, {u'e', u'ê'}, {u'i', u'ï'}, {u'o', u'ø'},
                                             {u'u', u'ů'}, {u'n', u'ñ'}, {u's', u'š'}};
    QString out;
    qsizetype at = 0;
    auto add = [&](const QString& plain) {
        for (const QChar c : plain) out += accents.value(c, c);
    };
    for (auto it = kept.globalMatch(english); it.hasNext();) {
        const auto m = it.next();
        add(english.mid(at, m.capturedStart() - at));
        out += m.captured();
        at = m.capturedEnd();
    }
    add(english.mid(at));
    const auto more = (english.size() + 2) / 3;
    QString tail;
    while (tail.size() < more) tail += QStringLiteral("ůlťra ").left(more - tail.size());
    // Before a full stop, so that it ends as it ended.
    const bool stop = english.endsWith(QLatin1Char('.')) || english.endsWith(QLatin1Char(':'));
    tail = (english.size() > 8 ? QStringLiteral(" ") : QString()) + tail.trimmed();
    return stop ? out.chopped(1) + tail + english.back() : out + tail;
}

/// The catalogue of a made-up language, as somebody would make one: a copy of the German one with other words in it.
bool make_language(const QString& folder, const QString& code) {
    QFile in(QStringLiteral(BEVEL_SOURCE_DIR "/data/translations/bevel_de.ts"));
    const QString ts = folder + QStringLiteral("/bevel_") + code + QStringLiteral(".ts");
    QFile out(ts);
    if (!in.open(QIODevice::ReadOnly) || !out.open(QIODevice::WriteOnly)) return false;
    QXmlStreamReader r(&in);
    QXmlStreamWriter w(&out);
    QString source;
    while (!r.atEnd()) {
        r.readNext();
        if (r.isStartElement() && r.name() == QLatin1String("source")) {
            source = r.readElementText();
            w.writeTextElement(QStringLiteral("source"), source);
        } else if (r.isStartElement() && r.name() == QLatin1String("translation")) {
            const bool several = source.contains(QLatin1String("%n"));
            r.readElementText(QXmlStreamReader::IncludeChildElements);
            w.writeStartElement(QStringLiteral("translation"));
            if (several)
                for (int i = 0; i < 2; ++i) w.writeTextElement(QStringLiteral("numerusform"), made_up(source));
            else
                w.writeCharacters(made_up(source));
            w.writeEndElement();
        } else if (r.isStartElement() && r.name() == QLatin1String("TS")) {
            w.writeStartElement(QStringLiteral("TS"));
            w.writeAttribute(QStringLiteral("version"), QStringLiteral("2.1"));
            w.writeAttribute(QStringLiteral("language"), QStringLiteral("eo"));
        } else if (!r.isDTD()) {
            w.writeCurrentToken(r);
        }
    }
    out.close();
    QProcess p;
    p.start(QStringLiteral("/usr/lib/qt6/bin/lrelease"),
            {QStringLiteral("-silent"), ts, QStringLiteral("-qm"), folder + QStringLiteral("/bevel_") + code + QStringLiteral(".qm")});
    return !r.hasError() && p.waitForFinished(60000) && p.exitCode() == 0;
}

} // namespace

class TestWalk : public QObject {
    Q_OBJECT
    test::Copy copy_;
    QTemporaryDir tongues_;

    static void open_clip(Bench& b, qint64 clip) {
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(clip);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
    }
    /// What stays cut once what is read in the background has come and the layout has followed.
    static QStringList cut_in(Bench& b, const QString& where) {
        QStringList wrong;
        for (int i = 0; i < 15; ++i) {
            wrong = test::clipped(*b.window, where);
            if (wrong.isEmpty()) break;
            QTest::qWait(100);
        }
        return wrong;
    }
    /// All places and all tabs of each, as they are left; what is cut anywhere.
    static QStringList walk(Bench& b, const QString& where, bool boxes = true) {
        QStringList wrong;
        const auto places = b.window->findChildren<ui::Place*>();
        for (int place = 0; place < places.size(); ++place) {
            b.window->show_place(place);
            QTest::qWait(120);
            ui::Place* shown = nullptr;
            for (auto* p : places)
                if (p->isVisible()) shown = p;
            const auto tabs = shown ? shown->findChildren<QTabWidget*>() : QList<QTabWidget*>();
            const QString at = shown ? shown->id() : QString::number(place);
            wrong << cut_in(b, where + QLatin1Char(' ') + at);
            for (auto* t : tabs)
                for (int i = 1; i < t->count() && t->isVisible(); ++i) {
                    t->setCurrentIndex(i);
                    QTest::qWait(60);
                    wrong << cut_in(b, QStringLiteral("%1 %2 tab %3").arg(where, at, t->tabText(i)));
                }
        }
        wrong.removeDuplicates();
        if (!boxes) // in the largest type a box may shorten what it shows: it says the whole when asked (plain_labels.cpp)
            for (const auto* box : b.window->findChildren<QComboBox*>())
                wrong.removeIf([&](const QString& w) { return w.endsWith(QStringLiteral(": ") + box->currentText()); });
        return wrong;
    }

private slots:
    void initTestCase() {
        QVERIFY(copy_.make());
        QVERIFY(make_language(tongues_.path(), QStringLiteral("eo")));
        QVERIFY(QFile::copy(tongues_.filePath(QStringLiteral("bevel_eo.qm")), tongues_.filePath(QStringLiteral("bevel_ar.qm"))));
    }
    void cleanup() {
        ui::find_languages(QString());
        ui::speak(QStringLiteral("en"));
    }

    void another_language_is_a_file() {
        QCOMPARE(ui::languages(), (QStringList{QStringLiteral("en"), QStringLiteral("de")}));
        // What is none is passed over: no catalogue, no language, another name.
        for (const char* name : {"bevel_fr.qm", "bevel_.qm", "bevel_zz.qm", "other_it.qm"}) {
            QFile f(tongues_.filePath(QLatin1String(name)));
            QVERIFY(f.open(QIODevice::WriteOnly) && f.write("no catalogue") > 0);
        }
        ui::find_languages(tongues_.path());
        QCOMPARE(ui::languages(), (QStringList{QStringLiteral("en"), QStringLiteral("de"), QStringLiteral("ar"), QStringLiteral("eo")}));
        QCOMPARE(ui::language_name(QStringLiteral("eo")), QLocale(QLocale::Esperanto).nativeLanguageName());
        Bench b(copy_.demo);
        open_clip(b, 2);
        ui::Settings s = b.session.settings;
        s.language = QStringLiteral("eo");
        b.window->apply(s);
        QCOMPARE(ui::spoken_language(), QStringLiteral("eo"));
        QVERIFY(b.window->menuBar()->actions().front()->text().startsWith(QStringLiteral("&Fïlê")));
        // Words of the data too, and letters to whom it is said so.
        QVERIFY(ui::said("Gaze at the Moon") != QStringLiteral("Gaze at the Moon"));
        {
            const ui::LanguageScope german(QStringLiteral("de"));
            QCOMPARE(ui::spoken_language(), QStringLiteral("de"));
        }
        // Gone again, it is the system's own.
        ui::find_languages(QString());
        ui::speak(QStringLiteral("eo"));
        QVERIFY(ui::spoken_language() != QStringLiteral("eo"));
    }

    void nothing_is_cut_data() {
        QTest::addColumn<QString>("language");
        QTest::addColumn<QList<int>>("percent");
        QTest::newRow("English") << "en" << QList<int>{100, 120, 150};
        QTest::newRow("German") << "de" << QList<int>{100, 120, 150};
        QTest::newRow("made up, a third longer") << "eo" << QList<int>{100};
        QTest::newRow("from right to left") << "ar" << QList<int>{100};
    }
    void nothing_is_cut() {
        QFETCH(QString, language);
        QFETCH(QList<int>, percent);
        ui::find_languages(tongues_.path());
        Bench b(copy_.demo);
        QStringList wrong;
        if (language == QLatin1String("en"))
            for (int place = 1; place < 4; ++place) { // while nothing is open
                b.window->show_place(place);
                QTest::qWait(100);
                wrong << test::clipped(*b.window, QStringLiteral("empty place %1").arg(place));
            }
        open_clip(b, 2);
        for (const int size : percent) {
            ui::Settings s = b.session.settings;
            s.language = language;
            s.text_percent = size;
            QSignalSpy again(b.window.get(), &ui::MainWindow::made_again);
            b.window->apply(s);
            if (again.count() > 0) {
                QSignalSpy reopened(b.window->review(), &ui::ReviewPage::opened);
                QTRY_COMPARE_WITH_TIMEOUT(reopened.count(), 1, 30000);
            }
            QCOMPARE(QGuiApplication::layoutDirection(), language == QLatin1String("ar") ? Qt::RightToLeft : Qt::LeftToRight);
            const QList<QSize> rooms = size == 100 && language.size() == 2 && language < QLatin1String("eo")
                                           ? QList<QSize>{{1280, 800}, {1024, 700}}
                                           : QList<QSize>{{1280, 800}};
            for (const QSize room : rooms) {
                if (language == QLatin1String("ar") && room.width() < 1100) continue;
                b.window->resize(room);
                wrong << walk(b, QStringLiteral("%1 %2 % %3").arg(language).arg(size).arg(room.width()), size < 150);
                if (size <= 120) QCOMPARE(b.window->size(), room); // nothing forces it wider
            }
        }
        for (const auto& w : wrong) qWarning("%s", qPrintable(w)); // a message of a test is short
        QVERIFY2(wrong.isEmpty(), qPrintable(QStringLiteral("%1 places").arg(wrong.size())));
    }
};

QTEST_MAIN(TestWalk)
#include "test_walk.moc"
