// Classes in the real window: one made and changed, a lesson with two away and one on a chair planned, held at sixty times its speed and
// printed, what is common and the letter that names nobody.
#include "core/files.h"
#include "core/practice/gate.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/classes/classes_page.h"
#include "ui/classes/handover_dialog.h"
#include "ui/paint/class_sheet.h"
#include "ui/text/class_words.h"
#include "ui/text/practice_words.h"
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTableView>
#include <QTabWidget>

using namespace bevel;
using test::Bench;

class TestClasses : public QObject {
    Q_OBJECT
    test::Copy copy_;

    std::filesystem::path fresh(const char* name) const {
        const std::filesystem::path to = copy_.dir.filePath(QLatin1String(name)).toStdString();
        std::filesystem::copy(copy_.demo, to, std::filesystem::copy_options::recursive);
        return to;
    }
    static ui::ClassesPage* come(Bench& b) {
        QSignalSpy filled(b.window->classes(), &ui::ClassesPage::filled);
        b.window->show_place(b.window->place(QStringLiteral("classes")));
        if (!filled.wait(30000)) qFatal("no class");
        return b.window->classes();
    }
    static ui::LessonView* on(ui::ClassesPage* page, const char* day) {
        page->lesson()->show_day(day);
        return page->lesson();
    }
    static void propose(ui::LessonView* lesson) {
        QSignalSpy proposed(lesson, &ui::LessonView::proposed);
        QTest::mouseClick(lesson->findChild<QPushButton*>(QStringLiteral("lessonPropose")), Qt::LeftButton);
        if (!proposed.wait(60000)) qFatal("nothing proposed");
    }
    /// The row of that name among those who may be here.
    static int row_of(const QTableView* here, const QString& name) {
        for (int r = 0; r < here->model()->rowCount(); ++r)
            if (here->model()->index(r, 1).data().toString() == name) return r;
        return -1;
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_class_is_made_changed_and_taken_away() {
        Bench b(fresh("made"));
        auto* page = come(b);
        const auto first = page->shown();
        QSignalSpy filled(page, &ui::ClassesPage::filled);
        page->add_class(QStringLiteral("Morning <b>& early"));
        QTRY_VERIFY_WITH_TIMEOUT(page->shown() != first && page->shown() != 0, 30000);
        QCOMPARE(b.session.library->classes().all()->size(), std::size_t{2});
        auto* members = page->facts()->findChild<QListWidget*>(QStringLiteral("classMembers"));
        QTRY_VERIFY_WITH_TIMEOUT(members->count() == 6 && b.background.idle(), 30000);
        members->item(1)->setCheckState(Qt::Checked);
        const auto kept = [&] {
            const auto all = b.session.library->classes().all();
            for (const auto& g : *all)
                if (g.id == page->shown()) return g;
            return ClassGroup{};
        };
        QTRY_COMPARE_WITH_TIMEOUT(kept().members.size(), std::size_t{1}, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && page->lesson()->lesson().people.size() == 1, 30000);
        auto* at = page->facts()->findChild<QLineEdit*>(QStringLiteral("classAt"));
        at->setText(QStringLiteral("07:15"));
        emit at->editingFinished();
        QTRY_COMPARE_WITH_TIMEOUT(kept().at, std::string("07:15"), 30000);
        auto* floor = page->facts()->findChild<QLineEdit*>(QStringLiteral("classFloor"));
        floor->setText(QStringLiteral("stone, <i>uneven</i>"));
        emit floor->editingFinished();
        QTRY_COMPARE_WITH_TIMEOUT(kept().floor, std::string("stone, <i>uneven</i>"), 30000);
        page->facts()->findChild<QSpinBox*>(QStringLiteral("classMinutes"))->setValue(30);
        QTRY_COMPARE_WITH_TIMEOUT(kept().minutes, 30, 30000);
        page->undo().undo();
        QTRY_COMPARE_WITH_TIMEOUT(kept().minutes, 60, 30000);
        // A time that is none is not kept.
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        at->setText(QStringLiteral("7:9"));
        QCOMPARE(page->facts()->group().at, std::string("07:15"));
        page->remove_class();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->classes().all()->size(), std::size_t{1}, 30000);
        QTRY_COMPARE_WITH_TIMEOUT(page->shown(), first, 30000);
    }

    void a_lesson_is_made_for_those_who_are_here() {
        Bench b(fresh("lesson"));
        auto* page = come(b);
        auto* lesson = on(page, "2026-12-10");
        auto* here = lesson->findChild<QTableView*>(QStringLiteral("lessonHere"));
        QCOMPARE(here->model()->rowCount(), 6);
        // Two are away, by a key each; one is unsteady today.
        for (const char* name : {"Noor Haddad", "Wen Adeyemi"}) {
            here->selectRow(row_of(here, QLatin1String(name)));
            QTest::keyClick(here, Qt::Key_Space);
        }
        here->selectRow(row_of(here, QStringLiteral("Tomas Erikse")));
        lesson->findChild<QCheckBox*>(QStringLiteral("today_unsteady"))->click();
        QCOMPARE(std::count_if(lesson->lesson().people.begin(), lesson->lesson().people.end(), [](const auto& p) { return p.here; }),
                 std::ptrdiff_t{4});
        propose(lesson);
        QVERIFY(std::abs(lesson->plan().total_s() / 60 - 45) < 4);
        auto* table = lesson->findChild<QTableView*>(QStringLiteral("lessonPlan"));
        QVERIFY(table->model()->rowCount() > 5);
        // Whoever does something else is named on the leader's screen, and not in what is said to all.
        for (int r = 0; r < table->model()->rowCount(); ++r) {
            const QString said = table->model()->index(r, 2).data().toString(), whom = table->model()->index(r, 3).data().toString();
            QCOMPARE(said.isEmpty(), whom.isEmpty());
            for (const char* name : {"Tomas", "Greta", "Ilse", "Paulo", "Noor", "Wen"}) QVERIFY(!said.contains(QLatin1String(name)));
            QVERIFY(!whom.contains(QStringLiteral("Noor")) && !whom.contains(QStringLiteral("Wen")));
        }
        // Out by a key, and back; kept under its day.
        const auto rows = table->model()->rowCount();
        const auto items = lesson->plan().items.size();
        table->selectRow(3);
        QTest::keyClick(table, Qt::Key_Delete);
        QCOMPARE(table->model()->rowCount(), rows - 1);
        page->undo().undo();
        QCOMPARE(lesson->plan().items.size(), items);
        // Later and earlier by keys, all its rounds with it; the stand at the beginning stays where it is.
        const auto title = [&](int r) { return table->model()->index(r, 1).data().toString(); };
        const QString second = title(2), third = title(3), opening = title(0);
        table->selectRow(2);
        QTest::keyClick(table, Qt::Key_Down, Qt::AltModifier);
        QVERIFY(title(2) == third && title(3) == second);
        QCOMPARE(lesson->plan().items.size(), items);
        QCOMPARE(table->currentIndex().row(), 3);
        QTest::keyClick(table, Qt::Key_Up, Qt::AltModifier);
        QVERIFY(title(2) == second && title(3) == third);
        table->selectRow(0);
        QTest::keyClick(table, Qt::Key_Down, Qt::AltModifier);
        table->selectRow(1);
        QTest::keyClick(table, Qt::Key_Up, Qt::AltModifier);
        QCOMPARE(title(0), opening);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        const auto lessons = *b.session.library->classes().lessons(page->shown());
        QCOMPARE(lessons.front().day, std::string("2026-12-10"));
        QVERIFY(parse_plan(lessons.front().plan).has_value());
        lesson->show_day("2026-12-17");
        QVERIFY(lesson->plan().items.empty());
        lesson->show_day("2026-12-10");
        QCOMPARE(lesson->plan().items.size(), items);
        // Who comes back needs no new plan: everybody's way is told anew.
        here->selectRow(row_of(here, QStringLiteral("Noor Haddad")));
        QTest::mouseClick(lesson->findChild<QPushButton*>(QStringLiteral("lessonToggle")), Qt::LeftButton);
        for (const auto& row : lesson->instead()) QCOMPARE(row.size(), std::size_t{5});
        // Where most have to do something else it is said, with the way out.
        for (const char* name : {"Ilse Brandvik", "Greta Olmstead", "Paulo Restrepo", "Noor Haddad"}) {
            here->selectRow(row_of(here, QLatin1String(name)));
            for (const char* mark : {"today_dizzy", "today_knees"}) lesson->findChild<QCheckBox*>(QLatin1String(mark))->click();
        }
        const auto more = [&] { return test::says(*lesson, QStringLiteral("More than half")); };
        QVERIFY(more());
        propose(lesson);
        QVERIFY(!more());
    }

    void a_class_is_held_with_one_on_a_chair() {
        Bench b(fresh("held"));
        std::int64_t tomas = 0;
        for (const auto people = b.session.library->people().all(); const auto& p : *people)
            if (p.name == "Tomas Erikse") tomas = p.id;
        Agreement sits;
        sits.person = tomas, sits.check = check_of_limit("seated"), sits.off = true, sits.reason = "after an operation";
        QVERIFY(b.session.library->decisions().save_agreement(sits));
        auto* page = come(b);
        auto* lesson = on(page, "2026-12-10");
        auto* here = lesson->findChild<QTableView*>(QStringLiteral("lessonHere"));
        for (const char* name : {"Noor Haddad", "Wen Adeyemi"}) {
            here->selectRow(row_of(here, QLatin1String(name)));
            QTest::keyClick(here, Qt::Key_Space);
        }
        propose(lesson);
        auto* run = lesson->run_now();
        QVERIFY(run);
        QCOMPARE(lesson->run_now(), run); // one is enough
        double clock = 0;
        run->run().set_clock([&] { return clock; });
        QSignalSpy over(run, &ui::PacerWindow::over);
        QStringList shown, called;
        connect(&run->run(), &ui::PacerRun::called, this,
                [&](const Call& c) { called << ui::text::call_words(c, *b.session.practice_movements(), true); });
        run->run().start();
        const double length = run->run().pacer().timeline().length_s;
        auto* facing = run->findChild<QCheckBox*>(QStringLiteral("pacerFacing"));
        QVERIFY(facing->isVisible() && !facing->isChecked());
        int faced = 0;
        for (; clock < length + 2; clock += 2) { // a minute in a second
            run->run().tick();
            shown << run->picture().otherwise;
            // Face to face the leader's side is the other one; what is called stays the group's.
            const QString side = run->picture().side, other = run->picture().facing;
            QCOMPARE(other.isEmpty(),
                     !facing->isChecked() || !(side.startsWith(QStringLiteral("left")) || side.startsWith(QStringLiteral("right"))));
            if (!other.isEmpty()) {
                ++faced;
                QCOMPARE(other.endsWith(QStringLiteral("right")), side.startsWith(QStringLiteral("left")));
            }
            if (clock > length / 4 && !facing->isChecked()) facing->click();
        }
        QVERIFY(faced > 0);
        QTRY_VERIFY_WITH_TIMEOUT(over.count() > 0, 30000);
        shown.removeDuplicates();
        QVERIFY(shown.size() > 2); // the chair's way of one thing after another
        const QString all = shown.join(QLatin1Char(' ')) + called.join(QLatin1Char(' '));
        QVERIFY(called.filter(QStringLiteral("or: ")).size() > 2);
        for (const char* name : {"Tomas", "Erikse", "Greta", "Ilse", "Paulo"}) QVERIFY2(!all.contains(QLatin1String(name)), name);
        // Everything that Tomas is given passes his gate.
        const auto sheet = class_sheet(*b.session.library, page->shown(), "2026-12-10", b.session.forms());
        QVERIFY(sheet.has_value());
        const auto there = there_on(*sheet, lesson->lesson());
        QCOMPARE(there.size(), std::size_t{4});
        for (std::size_t i = 0; i < lesson->plan().items.size(); ++i)
            for (std::size_t k = 0; k < there.size(); ++k)
                if (const Instead& x = lesson->instead()[i][k]; x.way != Instead::Way::as_led && x.way != Instead::Way::rest)
                    QVERIFY(!barred(*movement_named(*b.session.practice_movements(), x.what.movement), x.what.version, there[k].needs));
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && lesson->lesson().held, 30000);
        QCOMPARE((*b.session.library->practice().of(0, "")).front().title, std::string("Evening at the Quay"));
    }

    void amounts_are_changed_by_keys_and_undone() {
        Bench b(fresh("amounts"));
        auto* page = come(b);
        auto* lesson = on(page, "2026-12-10");
        propose(lesson);
        auto* table = lesson->findChild<QTableView*>(QStringLiteral("lessonPlan"));
        const auto amounts = [&] {
            std::vector<std::array<double, 5>> out;
            for (const auto& i : lesson->plan().items)
                out.push_back({double(i.left), double(i.right), double(i.times), i.hold_s,
                               i.left + i.right + i.times > 0 || i.holds > 0 ? 0 : i.practice_s});
            return out;
        };
        const auto before = amounts();
        const double total = lesson->plan().total_s();
        for (int row = 0; row < table->model()->rowCount(); ++row) {
            table->selectRow(row);
            QTest::keyClick(table, Qt::Key_Plus);
            QCOMPARE(table->currentIndex().row(), row);
            if (amounts() == before) continue; // a stand is as long as it may be already
            QVERIFY(lesson->plan().total_s() > total);
            for (const auto& i : lesson->plan().items) QCOMPARE(i.left, i.right); // even as before
            QTest::keyClick(table, Qt::Key_Minus);
            QCOMPARE(amounts(), before);
        }
        // All rounds of an exercise alike, never none of it, and each step is undone.
        table->selectRow(2);
        for (int n = 0; n < 40; ++n) QTest::mouseClick(lesson->findChild<QPushButton*>(QStringLiteral("lessonLess")), Qt::LeftButton);
        QVERIFY(lesson->plan().total_s() < total);
        for (const auto& i : lesson->plan().items) QVERIFY(i.left + i.right + i.times + i.holds > 0 || i.practice_s >= 0);
        for (std::size_t k = 0; k < before.size(); ++k) {
            const auto now = amounts()[k];
            QVERIFY((now[0] > 0) == (before[k][0] > 0) && (now[2] > 0) == (before[k][2] > 0) && (now[3] > 0) == (before[k][3] > 0));
        }
        while (page->undo().canUndo() && amounts() != before) page->undo().undo();
        QCOMPARE(amounts(), before);
        QCOMPARE(lesson->plan().total_s(), total);
    }

    void a_course_of_the_class_is_kept_and_its_lessons_follow_it() {
        Bench b(fresh("course"));
        auto* page = come(b);
        auto* tabs = page->findChild<QTabWidget*>(QStringLiteral("classTabs"));
        QSignalSpy filled(page->course(), &ui::WeeksView::filled);
        tabs->setCurrentWidget(page->course());
        QVERIFY(filled.wait(60000));
        auto* view = page->course();
        QCOMPARE(view->owner(), page->shown());
        QVERIFY(view->course().id != 0 && view->course().group == page->shown() && view->course().person == 0); // the one under way
        // A class has no days at home, and nobody is asked whose it is.
        for (const char* name : {"coursePerson", "courseHomeDays", "courseHomeMinutes", "courseHome"})
            QVERIFY2(view->findChild<QWidget*>(QLatin1String(name))->isHidden(), name);
        const auto* exports = view->findChild<QMenu*>(QStringLiteral("courseExports"));
        QCOMPARE(exports->actions().size(), qsizetype{3});
        // Where there is no room for both, what it is asked for gives way to the weeks, and comes by a button.
        auto* asked = view->findChild<QPushButton*>(QStringLiteral("courseAsked"));
        QVERIFY(asked->isHidden() && view->form()->isVisible() && view->threads()->isVisible());
        const QSize wide = b.window->size();
        b.window->resize(1024, 700);
        QTRY_VERIFY(asked->isVisible() && !view->form()->isVisible() && view->threads()->isVisible());
        QTest::mouseClick(asked, Qt::LeftButton);
        QVERIFY(view->form()->isVisible() && !view->threads()->isVisible());
        b.window->resize(wide);
        QTRY_VERIFY(asked->isHidden() && view->form()->isVisible() && view->threads()->isVisible());
        // Another one, with something to learn; kept; then it is the one that lessons are made by.
        view->begin_another();
        QVERIFY(view->course().id == 0 && view->course().group == page->shown());
        QCOMPARE(QDate::fromString(QString::fromStdString(view->course().wish.from), Qt::ISODate).dayOfWeek(), 4); // on the class's day
        QCOMPARE(view->course().wish.lesson_minutes, 45.0);
        view->form()->add_wanted("push_and_sit_back");
        QTRY_VERIFY_WITH_TIMEOUT(view->course().wish.wanted.size() == 1, 20000);
        QSignalSpy known(page, &ui::ClassesPage::courses_known);
        view->keep_it();
        QVERIFY(known.wait(30000));
        const auto id = view->course().id;
        QVERIFY(id != 0);
        const auto& made = view->course().made;
        std::size_t fresh_week = made.weeks.size();
        for (std::size_t w = 0; w < made.weeks.size(); ++w)
            if (made.fresh_in(w) && made.fresh_in(w)->of == "push_and_sit_back") fresh_week = w;
        QVERIFY(fresh_week < made.weeks.size());
        QSignalSpy proposed(page->lesson(), &ui::LessonView::proposed);
        view->threads()->setCurrentIndex(view->threads()->model()->index(0, static_cast<int>(fresh_week)));
        QTest::mouseClick(view->findChild<QPushButton*>(QStringLiteral("courseLesson")), Qt::LeftButton);
        QVERIFY(proposed.wait(60000));
        QCOMPARE(tabs->currentWidget(), page->lesson());
        QCOMPARE(page->lesson()->lesson().day, made.weeks[fresh_week].from);
        const auto& items = page->lesson()->plan().items;
        QVERIFY(std::any_of(items.begin(), items.end(), [](const PlanItem& i) { return i.movement == "push_and_sit_back"; }));
        QVERIFY(page->lesson()
                    ->findChild<QLabel*>(QStringLiteral("lessonHead"))
                    ->text()
                    .contains(QString::fromStdString(view->course().title)));
        // Whoever comes in with a limit has another way of the same lesson; the lesson is not made anew by that.
        QVERIFY(!page->lesson()->instead().empty());
        // Taken out and back; with the class it goes.
        tabs->setCurrentWidget(view);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 60000);
        const auto kept = [&] { return courses_of_class(*b.session.library, page->shown())->first.size(); };
        QCOMPARE(kept(), std::size_t{2});
        view->remove();
        QTRY_COMPARE_WITH_TIMEOUT(kept(), std::size_t{1}, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        page->undo().undo();
        QTRY_COMPARE_WITH_TIMEOUT(kept(), std::size_t{2}, 30000);
        // Paper, calendar and page, without names.
        for (const char* ending : {"pdf", "ics", "html"}) {
            const QString file = copy_.dir.filePath(QStringLiteral("class-course.") + QLatin1String(ending));
            QSignalSpy exported(view, &ui::WeeksView::exported);
            view->export_to(file);
            QVERIFY2(exported.wait(60000), ending);
            QFile out(file);
            QVERIFY(out.open(QIODevice::ReadOnly));
            const auto bytes = out.readAll();
            QVERIFY(bytes.size() > 500);
            for (const char* name : {"Tomas", "Greta", "Ilse", "Paulo"}) QVERIFY(!bytes.contains(name));
            if (QLatin1String(ending) == QLatin1String("ics")) QVERIFY(bytes.contains("T183000")); // when the class begins
        }
        const auto gone = page->shown();
        page->remove_class();
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->classes().all()->empty() && b.background.idle(), 30000);
        QVERIFY(courses_of_class(*b.session.library, gone)->first.empty());
    }

    void a_class_is_handed_over_and_taken_over() {
        Bench b(fresh("handed"));
        auto* page = come(b);
        const auto handed = [&](const char* name, ui::HandOver how) {
            const QString file = copy_.dir.filePath(QLatin1String(name));
            QSignalSpy over(page, &ui::ClassesPage::handed_over);
            page->hand_over(file, how);
            if (!over.wait(60000)) qFatal("%s", name);
            QFile f(file);
            return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray();
        };
        QVERIFY(handed("class.pdf", ui::HandOver::page).startsWith("%PDF"));
        const auto hidden = handed("nobody.bevelclass", ui::HandOver::without_names);
        for (const char* name : {"Tomas", "Greta", "Ilse", "Paulo", "Noor", "Wen"}) QVERIFY(!hidden.contains(name));
        QVERIFY(handed("class.bevelclass", ui::HandOver::with_names).contains("Tomas Erikse"));
        const auto sheet = class_sheet(*b.session.library, page->shown(), "2026-12-01", b.session.forms());
        const QString html = ui::class_html(*sheet, "2026-12-01", b.session.forms(), b.session.catalogue, {});
        QVERIFY(html.contains(QStringLiteral("Tomas Erikse")) && html.contains(QStringLiteral("No standing on one leg")));
        QVERIFY(html.contains(QStringLiteral("Ten evenings, one form")) && html.contains(QStringLiteral("The last lessons")));
        // Taken over into the same library: everybody is known by name; one is said to be somebody new.
        page->take_over(copy_.dir.filePath(QStringLiteral("class.bevelclass")));
        ui::HandoverDialog* dialog = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT((dialog = page->findChild<ui::HandoverDialog*>()) && dialog->isVisible(), 30000);
        const auto boxes = dialog->findChildren<QComboBox*>(QStringLiteral("handedPerson"));
        QCOMPARE(boxes.size(), qsizetype{6});
        for (const auto* box : boxes) QVERIFY(box->currentIndex() > 0);
        auto* take = dialog->findChild<QPushButton*>(QStringLiteral("primary"));
        boxes[0]->setCurrentIndex(boxes[1]->currentIndex());
        QVERIFY(!take->isEnabled() && test::says(*dialog, QStringLiteral("cannot be two")));
        boxes[0]->setCurrentIndex(0);
        QVERIFY(take->isEnabled());
        const auto first = page->shown();
        QTest::mouseClick(take, Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(page->shown() != first && page->shown() != 0 && b.background.idle(), 60000);
        QCOMPARE(b.session.library->people().all()->size(), std::size_t{7});
        const auto taken = class_sheet(*b.session.library, page->shown(), "2026-12-01", b.session.forms());
        QCOMPARE(taken->members.size(), std::size_t{6});
        QCOMPARE(taken->lessons.size(), sheet->lessons.size());
        QVERIFY(taken->courses.front().made == sheet->courses.front().made);
        // What is none is said, and nothing becomes of it.
        const QString broken = copy_.dir.filePath(QStringLiteral("<b>broken.bevelclass"));
        QVERIFY(write_whole(broken.toStdString(), "{\"bevel_class\": 1"));
        page->take_over(broken);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("is no class that can be taken over")), 30000);
        QCOMPARE(b.session.library->classes().all()->size(), std::size_t{2});
    }

    void paper_names_people_for_the_leader_alone() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* lesson = on(page, "2026-11-19");
        QVERIFY(!lesson->plan().items.empty());
        const auto sheet = class_sheet(*b.session.library, page->shown(), "2026-11-19", b.session.forms());
        const auto movements = b.session.practice_movements();
        const QString leads = ui::leader_html(*sheet, lesson->lesson(), lesson->plan(), *movements, b.session.catalogue);
        const QString wall = ui::wall_html(lesson->plan(), *movements);
        for (const auto& m : sheet->members) {
            QVERIFY(leads.contains(QString::fromStdString(m.person.name).toHtmlEscaped()));
            QVERIFY(!wall.contains(QString::fromStdString(m.person.name.substr(0, m.person.name.find(' ')))));
        }
        QVERIFY(leads.contains(QStringLiteral("No standing on one leg")) && !wall.contains(QStringLiteral("No standing on one leg")));
        QVERIFY(wall.contains(QStringLiteral("or: ")));
        for (const bool leader : {true, false}) {
            const QString file = copy_.dir.filePath(leader ? QStringLiteral("leader.pdf") : QStringLiteral("wall.pdf"));
            QSignalSpy exported(lesson, &ui::LessonView::exported);
            lesson->export_to(file, leader);
            QVERIFY(exported.wait(60000));
            QFile pdf(file);
            QVERIFY(pdf.open(QIODevice::ReadOnly) && pdf.read(4) == "%PDF");
        }
    }

    void what_is_common_is_said_to_all_and_names_nobody() {
        Bench b(copy_.demo);
        auto* page = come(b);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        page->findChild<QTabWidget*>(QStringLiteral("classTabs"))->setCurrentWidget(page->common());
        QSignalSpy counted(page->common(), &ui::CommonView::counted);
        page->common()->findChild<QDateEdit*>(QStringLiteral("commonSince"))->setDate(QDate(2026, 11, 1));
        QVERIFY(counted.wait(30000));
        const auto& common = page->common()->common();
        QVERIFY(!common.empty());
        auto* table = page->common()->findChild<QTableView*>(QStringLiteral("common"));
        QCOMPARE(table->model()->rowCount(), static_cast<int>(common.size()));
        QCOMPARE(table->model()->index(0, 1).data().toString(),
                 QStringLiteral("%1 of %2").arg(common.front().missing).arg(common.front().told));
        const QString letter = page->common()->letter();
        QVERIFY(letter.contains(QStringLiteral("Evening at the Quay")));
        for (const char* name : {"Tomas", "Greta", "Ilse", "Paulo", "Noor", "Wen"}) QVERIFY(!letter.contains(QLatin1String(name)));
        page->common()->findChild<QPushButton*>(QStringLiteral("commonLetter"))->click();
        QCOMPARE(QGuiApplication::clipboard()->text(), letter);
        // Of fewer than five people no share is told.
        auto few = common;
        for (auto& f : few) f.told = fewest_told - 1;
        const auto sheet = class_sheet(*b.session.library, page->shown(), "2026-12-01", b.session.forms());
        QVERIFY(ui::text::class_letter(*sheet, few, {}, *b.session.practice_movements(), b.session.catalogue).isEmpty());
        // Its drill in the next lesson, which may be another one than stood there.
        QSignalSpy proposed(page->lesson(), &ui::LessonView::proposed);
        page->lesson()->show_day("2026-12-10");
        page->common()->findChild<QPushButton*>(QStringLiteral("commonDrill"))->click();
        QVERIFY(proposed.wait(60000));
        const auto& items = page->lesson()->plan().items;
        QVERIFY(std::any_of(items.begin(), items.end(), [&](const PlanItem& i) {
            return std::any_of(i.why.begin(), i.why.end(), [&](const PlanReason& w) {
                return w.code == PlanReason::Code::asked || w.code == PlanReason::Code::drill_for;
            });
        }));
    }
};

QTEST_MAIN(TestClasses)
#include "test_classes.moc"
