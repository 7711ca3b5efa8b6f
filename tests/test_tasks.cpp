// Ten everyday tasks done in the real windows by keys and mouse, counted: keys, clicks, and seconds that pass until it is done. Typed
// words are counted by themselves. With BEVEL_TASKS=FILE the table is written there (docs/tasks.md, by ./run tasks).
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/people/limit_dialog.h"
#include "ui/review/agreement_dialog.h"
#include "ui/review/reword_dialog.h"
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QElapsedTimer>
#include <QFile>
#include <QFileDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTabWidget>
#include <QTimer>
#include <QToolButton>

using namespace bevel;
using test::Bench;

namespace {

struct Task {
    QString name;
    int keys = 0, clicks = 0, words = 0; // words: letters that were typed
    double seconds = 0;
};

/// The hands of an instructor: what they do is counted.
class Hands {
public:
    Hands(QWidget& window, const QString& name) : window_(window) {
        task_.name = name;
        clock_.start();
    }
    void press(Qt::Key key, Qt::KeyboardModifiers mods = {}) {
        ++task_.keys;
        QTest::keyClick(at(), key, mods);
    }
    void type(const QString& words) {
        task_.words += static_cast<int>(words.size());
        QTest::keyClicks(at(), words);
    }
    bool click(QWidget* w) {
        if (!w || !w->isVisible() || !w->isEnabled()) return false;
        ++task_.clicks;
        QTest::mouseClick(w, Qt::LeftButton);
        return true;
    }
    bool click_row(QAbstractItemView* view, int row) {
        ++task_.clicks;
        const QModelIndex i = view->model()->index(row, 0);
        view->scrollTo(i);
        QTest::mouseClick(view->viewport(), Qt::LeftButton, {}, view->visualRect(i).center());
        return view->currentIndex().row() == row;
    }
    bool click_tab(QTabWidget* tabs, int index) {
        ++task_.clicks;
        auto* bar = tabs->tabBar();
        QTest::mouseClick(bar, Qt::LeftButton, {}, bar->tabRect(index).center());
        return tabs->currentIndex() == index;
    }
    /// An entry of a menu that hangs at a button: two clicks.
    bool choose(QMenu* menu, const QString& starts) {
        task_.clicks += 2;
        for (auto* a : menu->actions())
            if (a->text().startsWith(starts) && a->isEnabled()) {
                a->trigger();
                return true;
            }
        return false;
    }
    /// The next file dialog gets this name and Enter.
    void save_as(const QString& file) {
        ++task_.keys;
        task_.words += static_cast<int>(QFileInfo(file).fileName().size());
        auto* timer = new QTimer(&window_);
        QObject::connect(timer, &QTimer::timeout, &window_, [file, timer] {
            auto* d = qobject_cast<QFileDialog*>(QApplication::activeModalWidget());
            if (!d) return;
            timer->deleteLater();
            d->findChild<QLineEdit*>(QStringLiteral("fileNameEdit"))->setText(file);
            for (auto* b : d->findChildren<QDialogButtonBox*>())
                for (auto* p : b->buttons())
                    if (b->buttonRole(p) == QDialogButtonBox::AcceptRole) return p->click();
        });
        timer->start(50);
    }
    void dropped() { ++task_.clicks; }
    Task done() {
        task_.seconds = static_cast<double>(clock_.elapsed()) / 1000;
        return task_;
    }

private:
    QWidget* at() const {
        QWidget* w = QApplication::activeModalWidget();
        if (!w) w = &window_;
        return w->focusWidget() ? w->focusWidget() : w;
    }
    QWidget& window_;
    Task task_;
    QElapsedTimer clock_;
};

} // namespace

class TestTasks : public QObject {
    Q_OBJECT
    test::Copy copy_;
    std::vector<Task> done_;
    QString file(const char* name) const { return copy_.dir.filePath(QLatin1String(name)); }

    void keep(Hands& hands) {
        done_.push_back(hands.done());
        const Task& t = done_.back();
        qInfo("%s: %d keys, %d clicks, %d letters typed, %.1f s", qPrintable(t.name), t.keys, t.clicks, t.words, t.seconds);
        QVERIFY2(t.keys + t.clicks <= 40, qPrintable(t.name));
    }
    static void active(Bench& b) {
        b.window->activateWindow(); // where no window manager does it
        QVERIFY(QTest::qWaitForWindowActive(b.window.get()));
    }

private slots:
    void initTestCase() {
        QVERIFY(copy_.make());
        QApplication::setAttribute(Qt::AA_DontUseNativeDialogs);
    }

    void first_clip_from_nothing() {
        Bench b(copy_.folder);
        auto* page = b.window->arrivals();
        Hands hands(*b.window, QStringLiteral("first clip from nothing, to its review"));
        QMimeData mime;
        mime.setUrls({QUrl::fromLocalFile(QString::fromStdString(copy_.clip.string()))});
        hands.dropped();
        QDragEnterEvent enter(QPoint(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &enter);
        QDropEvent drop(QPointF(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &drop);
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_VERIFY_WITH_TIMEOUT(rows(table) == 1 && cell(table, 0, 4) == QLatin1String("whose is it?"), 100000);
        auto* student = page->findChild<QComboBox*>(QStringLiteral("student"));
        QVERIFY(hands.click(student->lineEdit()));
        hands.type(QStringLiteral("Noor Haddad"));
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        hands.press(Qt::Key_Return, Qt::ControlModifier);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 120000);
        keep(hands);
    }

    void a_known_students_clip_to_a_saved_letter() {
        Bench b(copy_.demo);
        b.session.settings.export_folder = copy_.dir.path();
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened), decided(b.window->review(), &ui::ReviewPage::decided),
            filled(b.window->letter(), &ui::LetterPage::filled_in), exported(b.window->letter(), &ui::LetterPage::exported);
        active(b);
        {
            Hands hands(*b.window, QStringLiteral("a known student's clip to a saved letter"));
            hands.press(Qt::Key_F6);
            QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
            hands.press(Qt::Key_K);
            QTRY_VERIFY_WITH_TIMEOUT(decided.count() >= 1, 20000); // one of each side it shows on
            hands.press(Qt::Key_L);
            QTRY_COMPARE_WITH_TIMEOUT(filled.count(), 1, 30000);
            hands.press(Qt::Key_S, Qt::ControlModifier);
            QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 60000);
            keep(hands);
        }
        {
            Hands hands(*b.window, QStringLiteral("the same clip to a slow-motion clip"));
            QVERIFY(hands.click_tab(b.window->letter()->findChild<QTabWidget*>(QStringLiteral("letterTabs")), 2));
            auto* slow = b.window->letter()->findChild<QPushButton*>(QStringLiteral("slowMotion"));
            QTRY_VERIFY_WITH_TIMEOUT(slow->isEnabled(), 20000);
            hands.save_as(file("slow.mp4"));
            QVERIFY(hands.click(slow));
            QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 2, 120000);
            keep(hands);
        }
    }

    void two_corrections_in_own_words() {
        Bench b(copy_.demo);
        auto* review = b.window->review();
        QSignalSpy opened(review, &ui::ReviewPage::opened), decided(review, &ui::ReviewPage::decided);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        active(b);
        Hands hands(*b.window, QStringLiteral("two corrections in one's own words"));
        for (int n = 0; n < 2; ++n) {
            if (n > 0) hands.press(Qt::Key_Period);
            hands.press(Qt::Key_W);
            ui::RewordDialog* dialog = nullptr;
            QTRY_VERIFY_WITH_TIMEOUT(dialog = review->findChild<ui::RewordDialog*>(), 20000);
            QTRY_VERIFY_WITH_TIMEOUT(dialog->isActiveWindow(), 30000);
            hands.type(QStringLiteral("Sink straight down."));
            hands.press(Qt::Key_Return, Qt::ControlModifier);
            QTRY_COMPARE_WITH_TIMEOUT(decided.count(), n + 1, 20000);
            QTRY_VERIFY_WITH_TIMEOUT(!review->findChild<ui::RewordDialog*>(), 30000);
            active(b);
        }
        keep(hands);
    }

    void a_new_limit() {
        Bench b(copy_.demo);
        active(b);
        Hands hands(*b.window, QStringLiteral("a new limit of a student"));
        hands.press(Qt::Key_5, Qt::ControlModifier);
        auto* page = b.window->people();
        auto* people = page->findChild<QListWidget*>(QStringLiteral("people"));
        QTRY_VERIFY_WITH_TIMEOUT(people->count() > 3, 20000);
        QVERIFY(hands.click_row(people, 2));
        QTRY_VERIFY_WITH_TIMEOUT(page->sheet(), 20000); // the row's own, not the one that stood there before
        const auto person = page->shown();
        QCOMPARE(person, people->item(2)->data(Qt::UserRole).toLongLong());
        const auto limits = [&] { return b.session.library->decisions().agreements(person)->size(); };
        const auto before = limits();
        QVERIFY(hands.click_tab(page->findChild<QTabWidget*>(QStringLiteral("personTabs")), 3));
        QVERIFY(hands.click(page->findChild<QPushButton*>(QStringLiteral("newLimit"))));
        auto* dialog = page->findChild<ui::LimitDialog*>();
        QVERIFY(dialog);
        QVERIFY(hands.click(dialog->findChild<QLineEdit*>(QStringLiteral("limitReason"))));
        hands.type(QStringLiteral("Knee after a fall"));
        for (auto* p : dialog->findChildren<QPushButton*>())
            if (p->text() == QLatin1String("Keep")) QVERIFY(hands.click(p));
        QTRY_COMPARE_WITH_TIMEOUT(limits(), before + 1, 20000);
        keep(hands);
    }

    void what_became_of_last_months_correction() {
        Bench b(copy_.demo);
        active(b);
        Hands hands(*b.window, QStringLiteral("what became of last month's correction"));
        hands.press(Qt::Key_5, Qt::ControlModifier);
        auto* page = b.window->people();
        hands.press(Qt::Key_F, Qt::ControlModifier);
        hands.type(QStringLiteral("Paulo"));
        auto* list = page->findChild<QListWidget*>(QStringLiteral("people"));
        auto left = [&] { // in the list: the one row that is shown
            QList<int> rows;
            for (int i = 0; i < list->count(); ++i)
                if (!list->item(i)->isHidden()) rows << i;
            return rows;
        };
        QTRY_COMPARE_WITH_TIMEOUT(left().size(), 1, 20000);
        hands.press(Qt::Key_Return);
        QTRY_VERIFY_WITH_TIMEOUT(page->sheet() && page->sheet()->person.name.starts_with("Paulo"), 20000);
        // It stands there: what was asked, and what became of it.
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("asked on")) || test::says(*page, QStringLiteral("Asked on")), 30000);
        keep(hands);
    }

    void a_twenty_minute_plan_and_its_film() {
        Bench b(copy_.demo);
        active(b);
        Hands hands(*b.window, QStringLiteral("a session of twenty minutes, and the beginning of its film"));
        hands.press(Qt::Key_7, Qt::ControlModifier);
        auto* page = b.window->findChild<ui::PracticePage*>();
        QVERIFY(page && page->isVisible());
        hands.press(Qt::Key_F8);
        auto* plan = page->findChild<QListWidget*>(QStringLiteral("plan"));
        QTRY_VERIFY_WITH_TIMEOUT(plan->count() > 4, 60000);
        const QString film = file("session.mp4");
        hands.save_as(film);
        QVERIFY(hands.choose(page->findChild<QMenu*>(QStringLiteral("planExports")), QStringLiteral("Film")));
        // It is under way; the whole of it takes minutes and is test_practice's.
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(film) || !QDir(copy_.dir.path()).entryList({QStringLiteral("*session*")}).isEmpty(), 60000);
        keep(hands);
    }

    void a_band_changed_for_a_student() {
        Bench b(copy_.demo);
        auto* review = b.window->review();
        QSignalSpy opened(review, &ui::ReviewPage::opened);
        b.window->open_review(4);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        active(b);
        const auto person = review->state().open->person.id;
        Hands hands(*b.window, QStringLiteral("a band changed for a student"));
        auto* why = review->findChild<QToolButton*>(QStringLiteral("why"));
        QVERIFY(hands.click(why));
        QDialog* because = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT(because = review->findChild<QDialog*>(QStringLiteral("whyDialog")), 30000);
        QVERIFY(hands.click(because->findChild<QPushButton*>(QStringLiteral("agree"))));
        ui::AgreementDialog* dialog = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT(dialog = review->findChild<ui::AgreementDialog*>(), 30000);
        auto* high = dialog->findChild<QDoubleSpinBox*>(QStringLiteral("agreeHigh"));
        QVERIFY(high && high->isEnabled());
        high->setFocus();
        high->selectAll();
        hands.type(QStringLiteral("25"));
        hands.press(Qt::Key_Tab);
        dialog->findChild<QLineEdit*>(QStringLiteral("agreeReason"))->setFocus();
        hands.type(QStringLiteral("A stiff back"));
        QVERIFY(hands.click(dialog->findChild<QPushButton*>(QStringLiteral("agreeOk"))));
        QTRY_VERIFY_WITH_TIMEOUT(!b.session.library->decisions().agreements(person)->empty(), 20000);
        keep(hands);
    }

    void a_fault_shown() {
        Bench b(copy_.demo);
        auto* review = b.window->review();
        QSignalSpy opened(review, &ui::ReviewPage::opened);
        b.window->open_review(4);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        active(b);
        Hands hands(*b.window, QStringLiteral("a fault shown beside the right one"));
        QVERIFY(hands.click(review->findChild<QToolButton*>(QStringLiteral("why"))));
        QDialog* because = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT(because = review->findChild<QDialog*>(QStringLiteral("whyDialog")), 30000);
        QVERIFY(hands.click(because->findChild<QPushButton*>(QStringLiteral("showMe"))));
        auto* forms = b.window->findChild<ui::FormsPage*>();
        QTRY_VERIFY_WITH_TIMEOUT(forms->isVisible() && forms->findChild<QComboBox*>(QStringLiteral("fault"))->currentData().toInt() >= 0,
                                 20000);
        keep(hands);
    }

    void a_form_printed() {
        Bench b(copy_.demo);
        active(b);
        Hands hands(*b.window, QStringLiteral("the card of a form"));
        hands.press(Qt::Key_6, Qt::ControlModifier);
        hands.press(Qt::Key_F, Qt::ControlModifier);
        hands.type(QStringLiteral("part the"));
        auto* forms = b.window->findChild<ui::FormsPage*>();
        QTRY_VERIFY_WITH_TIMEOUT(forms->findChild<QListWidget*>(QStringLiteral("forms"))->count() == 1, 20000);
        const QString card = file("card.pdf");
        hands.save_as(card);
        hands.press(Qt::Key_P, Qt::ControlModifier);
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(card), 60000);
        keep(hands);
    }

    void cleanupTestCase() {
        if (done_.size() != 10) QFAIL("not all ten were done");
        const QString to = qEnvironmentVariable("BEVEL_TASKS");
        if (to.isEmpty()) return;
        QFile out(to);
        QVERIFY(out.open(QIODevice::WriteOnly));
        out.write(
            "# Everyday tasks, counted\n\nDone in the real windows over the demo by `./run tasks` (tests/test_tasks.cpp): keys and clicks "
            "that are "
            "needed, letters that are typed besides (names, words), and the seconds from the first key until it is done, on two cores, "
            "without anybody thinking. The first one finds the body in a clip.\n\n| task | keys | clicks | typed | seconds "
            "|\n|---|---|---|---|---|\n");
        for (const auto& t : done_)
            out.write(QStringLiteral("| %1 | %2 | %3 | %4 | %5 |\n")
                          .arg(t.name)
                          .arg(t.keys)
                          .arg(t.clicks)
                          .arg(t.words)
                          .arg(t.seconds, 0, 'f', 1)
                          .toUtf8());
    }
};

QTEST_MAIN(TestTasks)
#include "test_tasks.moc"
