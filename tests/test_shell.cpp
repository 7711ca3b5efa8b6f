// Drives the frame of the window: keys, menus, themes, languages, settings, help, empty places, drops, search.
#include "core/files.h"
#include "core/ground/derive.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/letter/letter_view.h"
#include "ui/shell/left_edit.h"
#include "ui/shell/open_library.h"
#include "ui/text/data_words.h"
#include <map>
#include <mutex>
#include <QAbstractItemModelTester>
#include <QAbstractItemView>
#include <QAccessible>
#include <QApplication>
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMenuBar>
#include <QMessageBox>
#include <QMimeData>
#include <QProcess>
#include <QProgressBar>
#include <QPushButton>
#include <QRegularExpression>
#include <QScrollArea>
#include <QSettings>
#include <QSignalSpy>
#include <QTableView>
#include <QTabWidget>
#include <QTemporaryDir>
#include <QTest>
#include <QTextBrowser>
#include <QTimer>
#include <QToolButton>
#include <QToolTip>
#include <QTranslator>
#include <QWheelEvent>
#include <QXmlStreamReader>
#include <set>
#include <sqlite3.h>

using namespace bevel;
using test::Bench;
using test::clipped;

/// Marks a library as made by a newer program.
struct NewerMark {
    bool ok = false;
    explicit NewerMark(const std::filesystem::path& file) {
        sqlite3* db = nullptr;
        ok = sqlite3_open(file.string().c_str(), &db) == SQLITE_OK &&
             sqlite3_exec(db, "PRAGMA journal_mode=DELETE; PRAGMA user_version=99", nullptr, nullptr, nullptr) == SQLITE_OK;
        sqlite3_close(db);
    }
};

/// Asked last of all translators: what nobody has said.
class Unsaid : public QTranslator {
public:
    mutable std::set<std::pair<std::string, std::string>> missing;
    QString translate(const char* context, const char* text, const char*, int) const override {
        const std::lock_guard lock(mutex_); // letters are composed on other threads
        missing.insert({context, text});
        return {};
    }
    bool isEmpty() const override { return false; }
    bool is_ours(const std::string& context) const {
        return context.starts_with("bevel::ui::") || std::set<std::string>{"text", "help", "lanes", "letter", "arrivals"}.contains(context);
    }

private:
    mutable std::mutex mutex_;
};

class TestShell : public QObject {
    Q_OBJECT
    test::Copy copy_;

private slots:
    void nothing_pasted_is_nothing_typed() {
        ui::LeftEdit edit;
        edit.show();
        edit.setPlainText(QStringLiteral("kept"));
        QGuiApplication::clipboard()->setMimeData(new QMimeData); // as when the program that it came from is gone
        QTest::keyClick(&edit, Qt::Key_V, Qt::ControlModifier);
        QCOMPARE(edit.toPlainText(), QStringLiteral("kept"));
        QGuiApplication::clipboard()->setText(QStringLiteral("and "));
        QTest::keyClick(&edit, Qt::Key_V, Qt::ControlModifier);
        QCOMPARE(edit.toPlainText(), QStringLiteral("and kept"));
    }
    /// What stands in the way of a library is said, with the ways out that there are.
    void a_library_that_cannot_be_opened_offers_ways_out() {
        QTemporaryDir dir;
        const std::filesystem::path folder = dir.path().toStdString() + "/library";
        {
            auto lib = *Library::open(folder);
            QVERIFY(write_whole(folder / "clips" / "a.mp4", "a film"));
        }
        const std::string good = *read_text(folder / "library.sqlite", 64U << 20U);
        const auto asked = [&](const QString& press, QStringList& buttons, QString& words) {
            QTimer::singleShot(300, this, [&] {
                auto* box = qobject_cast<QMessageBox*>(QApplication::activeModalWidget());
                if (!box) return;
                words = box->text();
                QAbstractButton* chosen = nullptr;
                for (auto* b : box->buttons()) {
                    buttons << b->objectName();
                    if (b->objectName() == press) chosen = b;
                }
                if (chosen) chosen->click();
            });
            auto at = folder;
            auto got = ui::open_library(at, Library::open(at));
            buttons.sort(); // the desktop's style orders them
            return got;
        };
        QStringList buttons;
        QString words;
        std::filesystem::remove(folder / "library.sqlite");
        QVERIFY(!asked(QStringLiteral("quit"), buttons, words));
        QCOMPARE(buttons,
                 (QStringList{QStringLiteral("again"), QStringLiteral("other"), QStringLiteral("quit"), QStringLiteral("restore")}));
        QVERIFY2(words.contains(QLatin1String("are films")), qPrintable(words));
        QVERIFY(!std::filesystem::exists(folder / "library.sqlite"));
        buttons.clear();
        QVERIFY(write_whole(folder / "library.sqlite", good.substr(0, 6000)));
        QVERIFY(!asked(QStringLiteral("quit"), buttons, words));
        QCOMPARE(buttons,
                 (QStringList{QStringLiteral("other"), QStringLiteral("quit"), QStringLiteral("reading"), QStringLiteral("restore")}));
        QVERIFY2(words.contains(QLatin1String("damaged")), qPrintable(words));
        QVERIFY2(!words.contains(QLatin1String("MP4")), qPrintable(words));
        // What is put back meanwhile is found by trying again.
        buttons.clear();
        std::filesystem::remove(folder / "library.sqlite");
        QTimer::singleShot(100, this, [&] { (void)write_whole(folder / "library.sqlite", good); });
        QVERIFY(asked(QStringLiteral("again"), buttons, words).has_value());
        for (const auto& [code, context, again, reading, restore] : {std::tuple{Code::write_failed, "library full: /x", true, true, false},
                                                                     {Code::cannot_open, "library closed: /x", true, true, true}}) {
            const auto t = ui::trouble_words({code, context});
            QVERIFY(t.again == again && t.reading == reading && t.restore == restore && t.words.contains(QLatin1String("/x")));
        }
    }
    void initTestCase() { QVERIFY(copy_.make()); }
    void keys_work_wherever_the_focus_is() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto& state = page->state();
        // In the list of findings Page keys step repetitions, and do not scroll.
        auto* list = page->findChild<QScrollArea*>(QStringLiteral("findings"));
        list->setFocus();
        QTest::keyClick(list, Qt::Key_Home);
        QCOMPARE(state.frame, std::size_t{0});
        QTest::keyClick(list, Qt::Key_PageDown);
        QVERIFY(state.frame > 0);
        // A click on Keep leaves the keys where they were: space plays.
        page->setFocus();
        QSignalSpy decided(page, &ui::ReviewPage::decided);
        QTest::mouseClick(page->findChild<QToolButton*>(QStringLiteral("setAside")), Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(decided.count(), 1, 20000);
        const auto before = b.session.library->decisions().of(2)->size();
        QTest::keyClick(b.window->focusWidget(), Qt::Key_Space);
        auto* play = page->findChild<QToolButton*>(QStringLiteral("play"));
        QVERIFY(play->isChecked());
        QTest::keyClick(b.window->focusWidget(), Qt::Key_Space);
        QVERIFY(!play->isChecked());
        QCOMPARE(b.session.library->decisions().of(2)->size(), before);
        // Reached by Tab, a button is pressed by space.
        play->setFocus(Qt::TabFocusReason);
        QTest::keyClick(play, Qt::Key_Space);
        QVERIFY(play->isChecked());
        QTest::keyClick(play, Qt::Key_Space);
        // Ctrl+1 is Arrivals, and chooses no part of the body.
        const auto family = state.family;
        QTest::keyClick(list, Qt::Key_1, Qt::ControlModifier);
        QVERIFY(b.window->arrivals()->isVisible());
        QCOMPARE(state.family, family);
        QTest::keyClick(b.window.get(), Qt::Key_2, Qt::ControlModifier);
        QTest::keyClick(page, Qt::Key_5);
        QCOMPARE(state.family, Family::spine);
    }
    void a_name_that_looks_like_html_is_shown_as_it_is_written() {
        Bench b(copy_.demo);
        const QString name = QStringLiteral("<img src=\"&#47;dev&#47;zero\"><b>Mira</b>.mp4"); // as rich text it would never come back
        QLabel plain(name);
        plain.show();
        QCOMPARE(plain.textFormat(), Qt::PlainText);
        QCOMPARE(plain.text(), name);
        QMessageBox box;
        box.setText(name);
        box.setInformativeText(name);
        box.show();
        for (const auto* l : box.findChildren<QLabel*>())
            if (l->text() == name) QCOMPARE(l->textFormat(), Qt::PlainText);
        box.close();
        QToolTip::showText({10, 10}, name, &plain);
        int tips = 0;
        for (auto* w : QApplication::topLevelWidgets())
            if (auto* tip = qobject_cast<QLabel*>(w); tip && tip->inherits("QTipLabel")) {
                QCOMPARE(tip->textFormat(), Qt::PlainText);
                ++tips;
            }
        QCOMPARE(tips, 1);
        QToolTip::hideText();
        // Of all labels of the window only those may be rich that were set so by name; none is, outside of the box about the program.
        QVERIFY(b.window->findChildren<QLabel*>().size() > 50);
        for (auto* l : b.window->findChildren<QLabel*>()) {
            l->ensurePolished();
            QVERIFY2(l->textFormat() == Qt::PlainText, qPrintable(l->objectName() + l->text()));
        }
    }
    void a_person_and_a_clip_of_such_a_name_are_listed_and_opened() {
        test::Copy copy;
        QVERIFY(copy.make());
        const std::string name = "<img src=\"&#47;dev&#47;zero\">";
        {
            auto library = Library::open(copy.demo);
            QVERIFY(library.has_value());
            Person p;
            p.name = name;
            QVERIFY(library->people().add(p).has_value());
        }
        Bench b(copy.demo);
        b.window->show_place(b.window->place(QStringLiteral("people")));
        auto* window = b.window.get();
        QTRY_VERIFY_WITH_TIMEOUT(
            [&] {
                for (auto* l : window->findChildren<QAbstractItemView*>())
                    if (l->model())
                        for (int r = 0; r < l->model()->rowCount(); ++r)
                            if (l->model()->index(r, 0).data().toString().contains(QString::fromStdString(name))) return true;
                return false;
            }(),
            10000);
    }
    void every_key_stands_in_a_menu_and_on_the_sheet() {
        Bench b(copy_.demo);
        QTest::keyClick(b.window.get(), Qt::Key_F1);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->findChild<QDialog*>(QStringLiteral("shortcutSheet")), 30000);
        auto* sheet = b.window->findChild<QDialog*>(QStringLiteral("shortcutSheet"));
        auto* table = sheet->findChild<QTableView*>(QStringLiteral("shortcuts"));
        int with_keys = 0;
        QSet<QString> seen;
        for (const auto& r : b.window->actions_table().rows()) {
            with_keys += r.action->shortcuts().isEmpty() ? 0 : 1;
            for (const auto& k : r.action->shortcuts()) {
                const auto* owner = qobject_cast<QWidget*>(r.action->associatedObjects().value(0));
                const QString where = (owner ? owner->metaObject()->className() : "") + QLatin1Char(' ') + k.toString();
                QVERIFY2(!seen.contains(where), qPrintable(where)); // no key twice in a place
                seen << where;
            }
            bool in_menu = false;
            for (auto* object : r.action->associatedObjects()) in_menu = in_menu || qobject_cast<QMenu*>(object);
            QVERIFY2(in_menu, qPrintable(r.action->text()));
        }
        QCOMPARE(rows(table), with_keys);
        sheet->findChild<QLineEdit*>(QStringLiteral("shortcutSearch"))->setText(QStringLiteral("phase"));
        QCOMPARE(rows(table), 2);
        sheet->close();
    }
    void pictures_come_closer_and_go_back() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto& state = page->state();
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
        auto* view = page->findChildren<ui::PictureView*>().front();
        const auto frame = state.frame;
        const QImage before = view->grab().toImage();
        view->setFocus();
        QTest::keyClick(view, Qt::Key_Plus);
        QTest::keyClick(view, Qt::Key_Plus);
        QVERIFY(state.zoom > 1.5);
        QVERIFY(view->grab().toImage() != before);
        const QPointF about = state.about;
        QTest::keyClick(view, Qt::Key_Down, Qt::ShiftModifier);
        QVERIFY(state.about.y() > about.y());
        QCOMPARE(state.frame, frame); // the arrows moved the picture, not the clip
        QTest::keyClick(view, Qt::Key_Right);
        QCOMPARE(state.frame, frame + 1);
        for (int i = 0; i < 40; ++i) QTest::keyClick(view, Qt::Key_Plus);
        QCOMPARE(state.zoom, ui::ReviewState::most_zoom);
        QVERIFY(state.about.y() <= 1 && state.about.x() >= 0);
        QTest::keyClick(view, Qt::Key_0);
        QCOMPARE(state.zoom, 1.0);
        // The place under the pointer stays where it is.
        const QPointF at(view->width() * 0.25, view->height() * 0.75);
        QWheelEvent wheel(at, view->mapToGlobal(at), {}, {0, 240}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
        QCoreApplication::sendEvent(view, &wheel);
        QVERIFY(state.zoom > 1.3);
        QVERIFY(std::abs(state.about.x() + (0.25 - 0.5) / state.zoom - 0.25) < 1e-6);
        QVERIFY(std::abs(state.about.y() + (0.75 - 0.5) / state.zoom - 0.75) < 1e-6);
    }
    void what_is_painted_is_spoken() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
        auto* column = QAccessible::queryAccessibleInterface(page->findChild<QWidget*>(QStringLiteral("column")));
        QVERIFY(column);
        QCOMPARE(column->childCount(), family_count);
        QCOMPARE(column->child(0)->text(QAccessible::Name), QStringLiteral("Feet"));
        const auto verdict = page->state().verdict_of(Family::spine);
        QVERIFY(verdict);
        QCOMPARE(column->child(4)->text(QAccessible::Value), ui::text::verdict(verdict->verdict));
        // Each part lies where it is painted: feet below the head, all within the view.
        QVERIFY(column->child(0)->rect().top() > column->child(5)->rect().bottom());
        for (int i = 0; i < family_count; ++i) QVERIFY(column->rect().contains(column->child(i)->rect()));
        QCOMPARE(column->childAt(column->child(3)->rect().center().x(), column->child(3)->rect().center().y()), column->child(3));
        page->state().set_family(Family::spine);
        auto* time = QAccessible::queryAccessibleInterface(page->findChildren<ui::TimeView*>().front());
        QVERIFY(time->childCount() >= 2);
        bool lean = false;
        for (int i = 0; i < time->childCount(); ++i)
            lean = lean || (time->child(i)->text(QAccessible::Name) == QStringLiteral("Forward lean") &&
                            time->child(i)->text(QAccessible::Value).contains(QChar(0x00B1)));
        QVERIFY2(lean, qPrintable(time->text(QAccessible::Value)));
        auto* floor = QAccessible::queryAccessibleInterface(page->findChildren<ui::FloorView*>().front());
        QCOMPARE(floor->childCount(), 2);
        QVERIFY(floor->child(0)->text(QAccessible::Value).contains(QStringLiteral("floor")) ||
                floor->child(0)->text(QAccessible::Value).startsWith(QStringLiteral("on the")));
    }
    void what_was_done_is_said_with_a_way_back() {
        test::Copy own; // in which nobody decided anything before
        QVERIFY(own.make());
        Bench b(own.demo);
        auto* line = b.window->findChild<QWidget*>(QStringLiteral("doneLine"));
        auto* back = b.window->findChild<QToolButton*>(QStringLiteral("doneUndo"));
        QVERIFY(line && back && !line->isVisible());
        auto* goes = line->findChild<QTimer*>(QStringLiteral("doneGoes"));
        QVERIFY(goes && goes->interval() >= 5000); // long enough to be read
        goes->setInterval(10 * 60 * 1000);         // a slow machine takes longer than that over the steps below
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened), decided(b.window->review(), &ui::ReviewPage::decided);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        QVERIFY(!line->isVisible()); // nothing was done yet
        const auto kept = [&] { return b.session.library->decisions().of(2).value(); };
        const auto before = kept();
        const auto same = [](const std::vector<Decision>& x, const std::vector<Decision>& y) {
            return std::equal(x.begin(), x.end(), y.begin(), y.end(),
                              [](const Decision& p, const Decision& q) { return p.key == q.key && p.choice == q.choice; });
        };
        QTest::keyClick(b.window->review(), Qt::Key_S); // set aside
        QTRY_VERIFY_WITH_TIMEOUT(decided.count() >= 1, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(line->isVisible(), 30000);
        QVERIFY(!b.window->findChild<QLabel*>(QStringLiteral("doneWords"))->text().isEmpty());
        QCOMPARE(test::clipped(*b.window, QStringLiteral("done")), QStringList());
        QVERIFY(!same(kept(), before));
        QTest::mouseClick(back, Qt::LeftButton);
        QVERIFY(!line->isVisible());
        QTRY_VERIFY_WITH_TIMEOUT(same(kept(), before), 20000);
        // Undone by the key, nothing is offered any more.
        const auto so_far = decided.count();
        QTest::keyClick(b.window->review(), Qt::Key_S);
        QTRY_VERIFY_WITH_TIMEOUT(decided.count() > so_far && line->isVisible(), 20000);
        b.window->review()->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(!line->isVisible(), 30000);
        // In longer words nothing of it is cut, and it stays with the place it is of.
        ui::Settings s = b.session.settings;
        s.language = QStringLiteral("de");
        b.window->apply(s);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->review()->state().open && b.window->review()->shows_current(), 30000);
        b.window->review()->undo().push(new QUndoCommand(QStringLiteral("die Höhe der Kamera über dem Boden")));
        line = b.window->findChild<QWidget*>(QStringLiteral("doneLine"));
        QTRY_VERIFY_WITH_TIMEOUT(line->isVisible(), 30000);
        QTest::qWait(50);
        const QStringList cut = test::clipped(*b.window, QStringLiteral("done"));
        QVERIFY2(cut.isEmpty(), qPrintable(cut.join(QLatin1Char(' '))));
        b.window->show_place(0);
        QVERIFY(!line->isVisible());
        s.language = QStringLiteral("en");
        b.window->apply(s);
    }
    void settings_hold_at_once_and_are_remembered() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        const auto frame = b.window->review()->state().frame;
        b.window->actions_table().find("settings")->trigger();
        auto* dialog = b.window->findChild<QDialog*>(QStringLiteral("settingsDialog"));
        QVERIFY(dialog);
        auto choose = [&](const char* box, const QVariant& value) {
            auto* c = dialog->findChild<QComboBox*>(QLatin1String(box));
            c->setCurrentIndex(c->findData(value));
            QCOMPARE(c->currentData(), value);
        };
        choose("widths", static_cast<int>(ui::Units::Width::length));
        choose("lengths", true);
        choose("textSize", 120);
        choose("bodyModel", static_cast<int>(ui::BodyModel::lite));
        dialog->findChild<QCheckBox*>(QStringLiteral("mirroredByDefault"))->setChecked(true);
        auto* sender = dialog->findChild<QLineEdit*>(QStringLiteral("sender"));
        QTRY_COMPARE_WITH_TIMEOUT(sender->text(), QStringLiteral("Maren Oduya"), 30000); // read from the library
        sender->setText(QStringLiteral("M. Oduya"));
        QTest::mouseClick(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok), Qt::LeftButton);
        // The places are made again, with the clip that was open at the moment that was shown.
        QTRY_VERIFY_WITH_TIMEOUT(b.session.settings.mirrored, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->review()->state().open && b.window->review()->state().frame == frame, 30000);
        QVERIFY(b.window->review()->isVisible());
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->settings().get("signed_by"), std::string("M. Oduya"), 30000);
        QVERIFY(b.window->arrivals()->findChild<QDoubleSpinBox*>(QStringLiteral("height"))->suffix().contains(QLatin1String("in")));
        QCOMPARE(b.session.theme.font(10).pointSizeF(), 12.0);
        // Widths are a length in inches now: the shoulder width of this student times the figure.
        const auto& state = b.window->review()->state();
        const double shoulders = state.open->review->motion.neutral.shoulder_width / 0.0254;
        QVERIFY(shoulders > 10 && shoulders < 18);
        QCOMPARE(ui::text::figure(2, QStringLiteral("SW"), state.units), QLocale().toString(2 * shoulders, 'f', 1) + QStringLiteral(" in"));
        // Keys and undo work in what was made again.
        auto* page = b.window->review();
        b.window->activateWindow();
        QVERIFY(QTest::qWaitForWindowActive(b.window.get()));
        page->setFocus();
        QTest::keyClick(page, Qt::Key_3);
        QCOMPARE(page->state().family, Family::knees);
        QSettings kept(copy_.dir.filePath(QStringLiteral("all.ini")), QSettings::IniFormat);
        b.session.settings.save(kept);
        const auto read = ui::Settings::load(kept);
        QVERIFY(read.inches && read.mirrored);
        QCOMPARE(read.text_percent, 120);
        QCOMPARE(read.width, ui::Units::Width::length);
        QCOMPARE(read.model, ui::BodyModel::lite);
        QVERIFY(b.session.library->settings().set("signed_by", "Maren Oduya").has_value());
    }
    void settings_that_were_spoiled_are_the_usual_ones() {
        QSettings wrong(copy_.dir.filePath(QStringLiteral("wrong.ini")), QSettings::IniFormat);
        for (const char* key : {"theme", "text_percent", "width", "body_model", "language", "inches"})
            wrong.setValue(QLatin1String(key), QStringLiteral("\x01 nonsense"));
        const auto s = ui::Settings::load(wrong);
        QCOMPARE(s.text_percent, 90); // the nearest that can be read
        QCOMPARE(s.width, ui::Units::Width::shoulders);
        QCOMPARE(s.model, ui::BodyModel::full);
        QVERIFY(s.language.isEmpty());
    }
    void work_is_shown_once_for_all_places_and_can_be_stopped() {
        Bench b(copy_.demo);
        auto* bar = b.window->findChild<QWidget*>(QStringLiteral("jobsBar"));
        QVERIFY(!bar->isVisible());
        bool stopped = false;
        auto& jobs = *b.session.jobs;
        const int id = jobs.begin(ui::JobKind::finding, QStringLiteral("Wen"), [&] { stopped = true; });
        for (int place = 0; place < 3; ++place) {
            b.window->show_place(place);
            QVERIFY(bar->isVisible());
        }
        jobs.progress(id, 0.5, QStringLiteral("20 frames/s"));
        QCOMPARE(b.window->findChild<QProgressBar*>(QStringLiteral("jobProgress"))->value(), 500);
        QTest::mouseClick(b.window->findChild<QPushButton*>(QStringLiteral("cancel")), Qt::LeftButton);
        QVERIFY(stopped);
        QVERIFY(bar->isVisible()); // until it has ended
        jobs.end(id, ui::JobOutcome::cancelled);
        QVERIFY(!bar->isVisible());
        QCOMPARE(jobs.all().last().outcome, ui::JobOutcome::cancelled);
        QVERIFY(jobs.all().last().problem.isEmpty()); // cancelled is not failed
    }
    void help_tells_every_measure_and_every_rule() {
        Bench b(copy_.demo);
        b.window->actions_table().find("help")->trigger();
        auto* help = b.window->findChild<QDialog*>(QStringLiteral("helpWindow"));
        QVERIFY(help);
        auto* topics = help->findChild<QListWidget*>(QStringLiteral("helpTopics"));
        auto* page = help->findChild<QTextBrowser*>(QStringLiteral("helpPage"));
        QString all;
        for (int i = 0; i < topics->count(); ++i) {
            topics->setCurrentRow(i);
            all += page->toPlainText();
            for (const auto& url : {QStringLiteral("mark:inside"), QStringLiteral("body:2")})
                if (topics->currentItem()->data(Qt::UserRole + 1).toString().contains(url))
                    QVERIFY(!page->document()->resource(QTextDocument::ImageResource, url).value<QPixmap>().isNull());
        }
        for (const auto& m : b.session.catalogue.all())
            if (!m.hidden) QVERIFY2(all.contains(m.definition()), qPrintable(m.id));
        for (const auto& r : rule_book().rules) QVERIFY2(all.contains(QString::fromStdString(r.name)), r.id.c_str());
        QVERIFY(all.contains(QStringLiteral("licensed clinician")));
        const int before = topics->count();
        help->findChild<QLineEdit*>(QStringLiteral("helpSearch"))->setText(QStringLiteral("toe line"));
        QVERIFY(topics->count() > 0 && topics->count() < before);
        help->close();
    }
    void all_is_said_in_german_when_asked() {
        Unsaid unsaid; // is asked last
        QCoreApplication::installTranslator(&unsaid);
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        const auto english = ui::text::headline(b.window->review()->state().open->review->findings.front(), b.session.catalogue);
        unsaid.missing.clear();
        ui::Settings s = b.session.settings;
        s.language = QStringLiteral("de");
        b.window->apply(s);
        QSignalSpy reopened(b.window->review(), &ui::ReviewPage::opened);
        QTRY_COMPARE_WITH_TIMEOUT(reopened.count(), 1, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->review()->shows_current(), 20000);
        QVERIFY(test::says(*b.window, QStringLiteral("Wiederholungen")));
        QCOMPARE(b.window->menuBar()->actions().front()->text(), QStringLiteral("&Datei"));
        const auto& review = *b.window->review()->state().open->review;
        QVERIFY(ui::text::headline(review.findings.front(), b.session.catalogue) != english);
        QCOMPARE(QLocale().decimalPoint(), QStringLiteral(",")); // numbers too
        for (const auto& f : review.findings) (void)ui::text::why(f, review, b.session.catalogue);
        for (int place = 0; place < 3; ++place) {
            b.window->show_place(place);
            QTest::qWait(100);
        }
        QTRY_VERIFY_WITH_TIMEOUT(b.window->letter()->findChild<ui::LetterView*>()->shows_letter(), 30000);
        for (const char* id : {"help", "keys", "settings", "about"}) {
            b.window->actions_table().find(id)->trigger();
            QTest::qWait(50);
            for (auto* d : b.window->findChildren<QDialog*>()) d->close();
        }
        QCoreApplication::removeTranslator(&unsaid);
        const auto data = ui::data_words(test::data_dir());
        QVERIFY(data.has_value());
        QStringList ours;
        for (const auto& [context, text] : unsaid.missing)
            if (context == "data" ? data->contains(text) : unsaid.is_ours(context)) ours << QString::fromStdString(context + ": " + text);
        QVERIFY2(ours.isEmpty(), qPrintable(ours.join(QLatin1Char('\n'))));
        // And back again.
        s.language = QStringLiteral("en");
        b.window->apply(s);
        QCOMPARE(b.window->menuBar()->actions().front()->text(), QStringLiteral("&File"));
        ui::speak(QStringLiteral("en"));
    }
    void no_sentence_of_the_program_waits_for_its_german() {
        const QString ts = copy_.dir.filePath(QStringLiteral("bevel_de.ts")), data_cpp = copy_.dir.filePath(QStringLiteral("data.cpp"));
        const QString source = QStringLiteral(BEVEL_SOURCE_DIR);
        QVERIFY(QFile::copy(source + QStringLiteral("/data/translations/bevel_de.ts"), ts));
        const auto words = ui::data_words(test::data_dir());
        QVERIFY(words.has_value() && words->size() > 400);
        QFile out(data_cpp);
        QVERIFY(out.open(QIODevice::WriteOnly));
        for (const auto& w : *words) {
            QString quoted = QString::fromStdString(w);
            quoted.replace(QLatin1Char('"'), QStringLiteral("\\\""));
            out.write(QStringLiteral("QT_TRANSLATE_NOOP(\"data\", \"%1\");\n").arg(quoted).toUtf8());
        }
        out.close();
        QProcess lupdate;
        lupdate.start(QStringLiteral("/usr/lib/qt6/bin/lupdate"),
                      {QStringLiteral("-locations"), QStringLiteral("none"), QStringLiteral("-no-obsolete"),
                       source + QStringLiteral("/src"), data_cpp, QStringLiteral("-ts"), ts});
        QVERIFY(lupdate.waitForFinished(60000));
        QCOMPARE(lupdate.exitCode(), 0);
        QFile in(ts);
        QVERIFY(in.open(QIODevice::ReadOnly));
        QXmlStreamReader xml(&in);
        QString text;
        int messages = 0;
        static const QRegularExpression place(QStringLiteral("%(?:\\d|n)"));
        auto places = [](const QString& s) {
            QStringList all;
            for (auto it = place.globalMatch(s); it.hasNext();) all << it.next().captured();
            all.sort();
            return all;
        };
        while (!xml.atEnd()) {
            xml.readNext();
            if (!xml.isStartElement()) continue;
            if (xml.name() == QLatin1String("source")) text = xml.readElementText();
            if (xml.name() != QLatin1String("translation")) continue;
            ++messages;
            QVERIFY2(xml.attributes().value(QLatin1String("type")).isEmpty(), qPrintable(text));
            const QString german = xml.readElementText(QXmlStreamReader::IncludeChildElements);
            QVERIFY2(!german.trimmed().isEmpty(), qPrintable(text));
            if (!places(text).contains(QStringLiteral("%n"))) QVERIFY2(places(german) == places(text), qPrintable(text + german));
        }
        QVERIFY(!xml.hasError());
        QVERIFY(messages > 1000);
    }
    void the_theme_is_switched_live_and_remembered() {
        Bench b(copy_.demo);
        const QColor before = b.session.theme.palette.paper;
        b.window->actions_table().find("themeDark")->trigger();
        QVERIFY(b.session.theme.palette.paper.lightnessF() < 0.3F && before.lightnessF() > 0.7F);
        QSettings kept(copy_.dir.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
        b.session.settings.save(kept);
        QCOMPARE(ui::Settings::load(kept).theme, ui::ThemeChoice::dark);
        b.window->actions_table().find("themeLight")->trigger();
        QCOMPARE(b.session.theme.palette.paper, before);
    }
    void an_empty_place_says_what_to_do_with_a_button() {
        Bench b(copy_.demo);
        b.window->show_place(1);
        auto* go = b.window->review()->findChild<QPushButton*>(QStringLiteral("emptyGo"));
        QVERIFY(go && go->isVisible());
        QVERIFY(!b.window->review()->findChild<QToolButton*>(QStringLiteral("play"))->isVisible()); // no dead controls
        QTest::mouseClick(go, Qt::LeftButton);
        QVERIFY(b.window->arrivals()->isVisible());
        b.window->show_place(2);
        QVERIFY(!b.window->letter()->findChild<QCheckBox*>(QStringLiteral("hide"))->isVisible());
        QTest::mouseClick(b.window->letter()->findChild<QPushButton*>(QStringLiteral("emptyGo")), Qt::LeftButton);
        QVERIFY(b.window->review()->isVisible());
    }
    void several_clips_and_folders_dropped_on_any_place_stand_in_line() {
        Bench b(copy_.demo);
        b.window->show_place(2);
        const QString folder = copy_.dir.filePath(QStringLiteral("inbox"));
        QVERIFY(QDir().mkpath(folder));
        for (const char* name : {"b.mp4", "a.mp4", "notes.txt"}) {
            QFile f(folder + QLatin1Char('/') + QLatin1String(name));
            QVERIFY(f.open(QIODevice::WriteOnly));
            f.write(name); // no clip: it is refused when it is taken in, not before
        }
        QMimeData mime;
        mime.setUrls({QUrl::fromLocalFile(folder), QUrl::fromLocalFile(QString::fromStdString(copy_.clip.string()))});
        QDragEnterEvent enter(QPoint(400, 300), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(b.window.get(), &enter);
        QDropEvent drop(QPointF(400, 300), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(b.window.get(), &drop);
        QVERIFY(drop.isAccepted());
        QVERIFY(b.window->arrivals()->isVisible());
        b.session.finding->rest(true);
        // One is a clip and there already, two are none: each is told, and nothing of them is kept.
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("a.mp4: This file cannot be read")), 20000);
        QVERIFY(test::says(*b.window, QStringLiteral("b.mp4: This file cannot be read")));
        QVERIFY(test::says(*b.window, QStringLiteral("1 clip there already.")) ||
                test::says(*b.window, QStringLiteral("1 clip taken in.")));
        const auto clips = b.session.library->clips().all();
        for (const auto& c : *clips)
            if (c.person == 0) QVERIFY(b.session.library->clips().remove(c.id).has_value());
    }
    void clips_are_found_by_student_movement_date_and_state() {
        Bench b(copy_.demo);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        auto* search = page->findChild<QLineEdit*>(QStringLiteral("search"));
        auto found = [&](const char* words) {
            search->setText(QLatin1String(words));
            return rows(table);
        };
        QCOMPARE(found("ilse"), 4);
        QCOMPARE(found("clouds greta"), 1);
        QCOMPARE(found("nov 2026"), 13);
        QCOMPARE(found("no such thing"), 0);
        QCOMPARE(found(""), test::demo_clips);
    }
    void tables_show_their_values_and_find_words() {
        struct Row {
            QString name;
            int count = 0;
        };
        ui::RowsModel<Row> model({{QStringLiteral("Name"), [](const Row& r) { return r.name; }},
                                  {QStringLiteral("Count"), [](const Row& r) { return QString::number(r.count); },
                                   [](const Row& r) { return r.count > 5 ? QColor(Qt::red) : QColor(); }}});
        const QAbstractItemModelTester tester(&model, QAbstractItemModelTester::FailureReportingMode::QtTest);
        QObject owner; // else the table would own what stands here
        ui::WordsFilter found(&owner);
        found.setSourceModel(&model);
        const QAbstractItemModelTester filtered(&found, QAbstractItemModelTester::FailureReportingMode::QtTest);
        std::unique_ptr<QTableView> table(ui::table_of(&found, QStringLiteral("t"), QStringLiteral("T"), {0}));
        QSignalSpy reset(&model, &QAbstractItemModel::modelReset), changed(&model, &QAbstractItemModel::dataChanged);
        model.set_rows({{QStringLiteral("<b>Ada</b>"), 3}, {QStringLiteral("Bo"), 9}});
        QCOMPARE(reset.count(), 1);
        QCOMPARE(cell(table.get(), 0, 0), QStringLiteral("<b>Ada</b>"));
        QCOMPARE(model.index(0, 0).data(Qt::ToolTipRole).toString(), QStringLiteral("&lt;b&gt;Ada&lt;/b&gt;"));
        QVERIFY(!model.index(0, 1).data(Qt::ForegroundRole).isValid());
        QCOMPARE(model.index(1, 1).data(Qt::ForegroundRole).value<QBrush>().color(), QColor(Qt::red));
        QCOMPARE(model.headerData(1, Qt::Horizontal, Qt::DisplayRole).toString(), QStringLiteral("Count"));
        table->selectRow(1);
        model.set_rows({{QStringLiteral("Ada"), 3}, {QStringLiteral("Bo"), 4}}); // as many: the choice stays
        QCOMPARE(changed.count(), 1);
        QCOMPARE(table->currentIndex().row(), 1);
        found.look_for(QStringLiteral(" bo  4 "));
        QCOMPARE(rows(table.get()), 1);
        QCOMPARE(cell(table.get(), 0, 0), QStringLiteral("Bo"));
        QCOMPARE(model.at(found.mapToSource(found.index(0, 0)))->count, 4);
        found.look_for(QStringLiteral("bo 3"));
        QCOMPARE(rows(table.get()), 0);
        QVERIFY(!model.at(found.mapToSource(found.index(0, 0))));
        model.set_rows({});
        found.look_for({});
        QCOMPARE(rows(table.get()), 0);
        QVERIFY(!model.at(model.index(0, 0)));
    }
    void a_newer_library_says_that_it_is_only_read() {
        const auto folder = std::filesystem::path(copy_.dir.filePath(QStringLiteral("newer")).toStdString());
        std::filesystem::copy(copy_.demo, folder, std::filesystem::copy_options::recursive);
        {
            NewerMark newer(folder / "library.sqlite");
            QVERIFY(newer.ok);
        }
        Bench b(folder);
        QVERIFY(b.session.library->read_only());
        bool said = false;
        for (const auto* l : b.window->findChildren<QLabel*>())
            said = said || (l->isVisible() && l->text().contains(QStringLiteral("for reading only")));
        QVERIFY(said);
        QTRY_COMPARE_WITH_TIMEOUT(rows(b.window->arrivals()->findChild<QTableView*>(QStringLiteral("clips"))), test::demo_clips, 20000);
    }
    void everything_focusable_has_a_name() {
        Bench b(copy_.folder);
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
    void every_state_of_every_control_can_be_read_in_both_themes() {
        // Painted, not looked up: the commonest colour is the ground, the one that stands out most from it is the writing.
        auto contrast_of = [](QWidget* w) {
            const QImage im = w->window()->grab(w->geometry()).toImage().convertToFormat(QImage::Format_RGB32);
            std::map<QRgb, int> count;
            for (int y = 3; y < im.height() - 3; ++y)
                for (int x = 3; x < im.width() - 3; ++x) ++count[im.pixel(x, y) | 0xFF000000U];
            const auto ground =
                std::max_element(count.begin(), count.end(), [](const auto& a, const auto& b) { return a.second < b.second; })->first;
            double most = 1;
            for (const auto& [c, n] : count)
                if (n >= 3) most = std::max(most, ui::contrast(QColor::fromRgb(c), QColor::fromRgb(ground)));
            return most;
        };
        QStringList poor;
        for (const bool dark : {false, true}) {
            ui::Theme theme;
            theme.palette = dark ? ui::Palette::dark() : ui::Palette::light();
            QWidget page;
            page.setStyleSheet(theme.style_sheet());
            auto* box = new QVBoxLayout(&page);
            QList<std::pair<QString, QWidget*>> all;
            auto put = [&](const QString& name, QWidget* w) {
                box->addWidget(w);
                all << std::pair(name, w);
                return w;
            };
            for (const char* id : {"", "primary", "goto"})
                for (const bool on : {true, false}) {
                    auto* b = new QPushButton(QStringLiteral("Hammering"));
                    b->setObjectName(QLatin1String(id));
                    b->setEnabled(on);
                    put(QStringLiteral("button %1 %2").arg(QLatin1String(id)).arg(on), b);
                }
            for (const bool checked : {true, false})
                for (const char* id : {"", "place"}) {
                    auto* b = new QToolButton;
                    b->setText(QStringLiteral("Hammering"));
                    b->setObjectName(QLatin1String(id));
                    b->setCheckable(true);
                    b->setChecked(checked);
                    put(QStringLiteral("tool %1 %2").arg(QLatin1String(id)).arg(checked), b);
                }
            for (const bool on : {true, false})
                for (const bool checked : {true, false}) {
                    auto* c = new QCheckBox(QStringLiteral("Hammering"));
                    c->setChecked(checked);
                    c->setEnabled(on);
                    put(QStringLiteral("check box %1 %2").arg(on).arg(checked), c);
                }
            auto* combo = new QComboBox;
            combo->addItem(QStringLiteral("Hammering"));
            put(QStringLiteral("choice"), combo);
            put(QStringLiteral("line"), new QLineEdit(QStringLiteral("Hammering")));
            auto* number = new QDoubleSpinBox;
            number->setValue(88);
            put(QStringLiteral("number"), number);
            auto* list = new QListWidget;
            list->addItems({QStringLiteral("Hammering"), QStringLiteral("Hammering")});
            list->setFixedHeight(60);
            put(QStringLiteral("list"), list);
            auto* chosen = new QListWidget;
            chosen->addItem(QStringLiteral("Hammering"));
            chosen->setCurrentRow(0);
            chosen->setFixedSize(80, 26);
            put(QStringLiteral("chosen row"), chosen);
            auto* tabs = new QTabWidget;
            tabs->addTab(new QLabel(QStringLiteral("Hammering")), QStringLiteral("Hammering"));
            tabs->addTab(new QWidget, QStringLiteral("Hammering"));
            put(QStringLiteral("tabs"), tabs);
            for (const char* id : {"", "faint", "heading", "problem"}) {
                auto* l = new QLabel(QStringLiteral("Hammering"));
                l->setObjectName(QLatin1String(id));
                put(QStringLiteral("label %1").arg(QLatin1String(id)), l);
            }
            page.resize(320, 900);
            page.show();
            QCoreApplication::processEvents();
            for (const auto& [name, w] : all) {
                const double c = contrast_of(w);
                // What cannot be used need not be read with ease, but has to be there.
                if (c < (w->isEnabled() ? 4.5 : 3.0))
                    poor << QStringLiteral("%1 %2: %3").arg(dark ? QStringLiteral("dark") : QStringLiteral("light"), name).arg(c);
            }
            // A check box has a box, checked or not, in both themes.
            for (const auto& [name, w] : all) {
                if (!qobject_cast<QCheckBox*>(w)) continue;
                const QImage im = w->window()->grab(w->geometry()).toImage();
                const QRgb ground = im.pixel(im.width() - 2, 1);
                double most = 1;
                for (int x = 0; x < 16; ++x) most = std::max(most, ui::contrast(QColor(im.pixel(x, im.height() / 2)), QColor(ground)));
                if (most < 3)
                    poor << QStringLiteral("%1 %2 has no box: %3")
                                .arg(dark ? QStringLiteral("dark") : QStringLiteral("light"), name)
                                .arg(most);
            }
        }
        QVERIFY2(poor.isEmpty(), qPrintable(poor.join(QLatin1Char('\n'))));
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
QTEST_MAIN(TestShell)
#include "test_shell.moc"
