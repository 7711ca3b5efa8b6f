// Drives the real window: a clip is dropped, found, reviewed and ends as a PDF.
#include "support/synthetic.h"
#include "ui/shell/main_window.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QListWidget>
#include <QMimeData>
#include <QPushButton>
#include <QScrollArea>
#include <QSignalSpy>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTest>
#include <QToolButton>

using namespace bevel;

class TestWindow : public QObject {
    Q_OBJECT
    struct Bench {
        ui::Session session;
        ui::Background background, finder;
        std::unique_ptr<ui::MainWindow> window;
        explicit Bench(const std::filesystem::path& folder) {
            session.catalogue = *ui::Catalogue::load(test::data_dir());
            session.library = std::make_shared<Library>(*Library::open(folder));
            session.movements = load_movements(test::data_dir());
            session.schools = load_schools(test::data_dir());
            session.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
            session.background = &background;
            session.finder = &finder;
            window = std::make_unique<ui::MainWindow>(session);
            window->show();
        }
        ~Bench() { window.reset(); }
    };
    QTemporaryDir dir_;
    std::filesystem::path folder_;
    std::filesystem::path clip_;

private slots:
    void initTestCase() {
        ui::Theme::load_fonts(test::data_dir());
        folder_ = dir_.filePath(QStringLiteral("library")).toStdString();
        clip_ = dir_.filePath(QStringLiteral("noor.mp4")).toStdString();
        sim::TakeOptions o = sim::take_of(41, 1.68);
        o.student.score.repetitions = 1;
        o.student.score.both_sides = false;
        o.student.score.quiet_after_s = 0.5;
        o.student.faults.push_back(*sim::parse_fault("lean_side.left=14"));
        o.phone.fps = 20;
        const sim::Take take(test::movement("separate_the_clouds"), o);
        auto w = ClipWriter::create(clip_, o.phone.width, o.phone.height, o.phone.fps);
        QVERIFY(w.has_value());
        for (std::size_t i = 0; i < take.frames(); ++i) QVERIFY(w->add(take.picture(i), take.track().time_s[i]).has_value());
        QVERIFY(w->finish().has_value());
    }
    void from_a_dropped_clip_to_a_pdf() {
        Bench b(folder_);
        auto* page = b.window->arrivals();
        QMimeData mime;
        mime.setUrls({QUrl::fromLocalFile(QString::fromStdString(clip_.string()))});
        QDragEnterEvent enter(QPoint(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &enter);
        QVERIFY(enter.isAccepted());
        QDropEvent drop(QPointF(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &drop);
        auto* take = page->findChild<QPushButton*>(QStringLiteral("primary"));
        QVERIFY(take->isEnabled());
        page->findChild<QComboBox*>(QStringLiteral("student"))->setCurrentText(QStringLiteral("Noor Haddad"));
        page->findChild<QDoubleSpinBox*>(QStringLiteral("height"))->setValue(168);
        auto* movement = page->findChild<QComboBox*>(QStringLiteral("movement"));
        movement->setCurrentIndex(movement->findData(QStringLiteral("separate_the_clouds")));
        QTest::mouseClick(take, Qt::LeftButton);
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 1, 20000);
        auto* open = page->findChild<QPushButton*>(QStringLiteral("openReview"));
        QTRY_VERIFY_WITH_TIMEOUT(table->item(0, 4) && table->item(0, 4)->text() == QLatin1String("to be reviewed"), 120000);
        table->selectRow(0);
        QTRY_VERIFY(open->isEnabled());
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        QTest::mouseClick(open, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* review = b.window->review();
        QVERIFY(review->state().open->review->alignment.repetitions.size() == 1);
        // Keep the finding that leads the list, by its button.
        auto* keep = review->findChild<QToolButton*>(QStringLiteral("keep"));
        QVERIFY2(keep, "the lean to the side gives a finding");
        QSignalSpy decided(review, &ui::ReviewPage::decided);
        keep->click();
        QTRY_COMPARE_WITH_TIMEOUT(decided.count(), 1, 10000);
        QTest::keyClick(b.window.get(), Qt::Key_3, Qt::ControlModifier);
        auto* letter = b.window->letter();
        auto* list = letter->findChild<QListWidget*>(QStringLiteral("corrections"));
        QTRY_COMPARE_WITH_TIMEOUT(list->count(), 1, 20000);
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_VERIFY_WITH_TIMEOUT(pdf->isEnabled(), 30000);
        QSignalSpy exported(letter, &ui::LetterPage::exported);
        const QString file = dir_.filePath(QStringLiteral("letter.pdf"));
        letter->export_to(file);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 20000);
        QVERIFY(QFileInfo(file).size() > 20000);
        QFile f(file);
        QVERIFY(f.open(QIODevice::ReadOnly));
        QVERIFY(f.read(5).startsWith("%PDF-"));
    }
    void what_was_decided_is_there_after_a_restart() {
        auto lib = Library::open(folder_);
        QVERIFY(lib.has_value());
        const auto clips = *lib->clips();
        QCOMPARE(clips.size(), std::size_t{1});
        QCOMPARE(clips[0].state, ClipState::reviewed);
        QCOMPARE((*lib->decisions(clips[0].id))[0].choice, Choice::kept);
        QVERIFY(!lib->letters(clips[0].id)->empty());
    }
    void the_review_answers_to_the_keyboard() {
        Bench b(folder_);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto& state = page->state();
        QTest::keyClick(page, Qt::Key_Home);
        QCOMPARE(state.frame, std::size_t{0});
        QTest::keyClick(page, Qt::Key_Right);
        QCOMPARE(state.frame, std::size_t{1});
        QTest::keyClick(page, Qt::Key_PageDown);
        QVERIFY(std::abs(state.time() - state.open->review->alignment.repetitions[0].start_s) < 0.06);
        const double before = state.time();
        QTest::keyClick(page, Qt::Key_Right, Qt::ControlModifier);
        QVERIFY(state.time() > before);
        QTest::keyClick(page, Qt::Key_5);
        QCOMPARE(state.family, Family::spine);
        QTest::keyClick(page, Qt::Key_M);
        QVERIFY(state.mirrored);
        QTest::keyClick(page, Qt::Key_End);
        QCOMPARE(state.frame, state.frames() - 1);
    }
    void a_clip_that_cannot_be_read_says_so_and_nothing_is_kept() {
        const auto folder = dir_.filePath(QStringLiteral("other")).toStdString();
        const QString wrong = dir_.filePath(QStringLiteral("wrong.mp4"));
        QFile f(wrong);
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write("not a clip");
        f.close();
        Bench b(folder);
        auto* page = b.window->arrivals();
        page->offer(wrong);
        page->findChild<QComboBox*>(QStringLiteral("student"))->setCurrentText(QStringLiteral("Wen"));
        QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(
            [&] {
                for (const auto* l : page->findChildren<QLabel*>())
                    if (l->text().contains(QLatin1String("cannot be read"))) return true;
                return false;
            }(),
            10000);
        QCOMPARE(page->findChild<QTableWidget*>(QStringLiteral("clips"))->rowCount(), 0);
    }
    void everything_focusable_has_a_name() {
        Bench b(folder_);
        QStringList nameless;
        for (auto* w : b.window->findChildren<QWidget*>()) {
            if ((w->focusPolicy() & Qt::TabFocus) == 0 || !w->isEnabled() || w->objectName().startsWith(QLatin1String("qt_")) ||
                qstrcmp(w->metaObject()->className(), "QComboBoxListView") == 0)
                continue;
            const auto* button = qobject_cast<QAbstractButton*>(w);
            if (w->accessibleName().isEmpty() && !(button && !button->text().isEmpty()) && w->parentWidget() &&
                !qobject_cast<QComboBox*>(w->parentWidget()) && !qobject_cast<QAbstractSpinBox*>(w->parentWidget()) &&
                w != b.window->review())
                nameless << QLatin1String(w->metaObject()->className()) + QLatin1Char(' ') + w->objectName();
        }
        QVERIFY2(nameless.isEmpty(), qPrintable(nameless.join(QLatin1String(", "))));
    }
    void colours_can_be_read() {
        for (const bool dark : {false, true}) {
            const ui::Palette p = dark ? ui::Palette::dark() : ui::Palette::light();
            for (const QColor& c : {p.ink, p.faint, p.accent, p.left, p.right, p.outside, p.edge, p.inside, p.cannot})
                for (const QColor& ground : {p.paper, p.sheet})
                    QVERIFY2(ui::contrast(c, ground) >= 4.5,
                             qPrintable(c.name() + QLatin1Char(' ') + QString::number(ui::contrast(c, ground))));
        }
    }
};
QTEST_MAIN(TestWindow)
#include "test_window.moc"
