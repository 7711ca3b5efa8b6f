// The first minutes and the way of one clip: a library without a clip, a name in a file's name, a height that nobody said, and what is done
// with the pictures of a review.
#include "support/window_bench.h"
#include "ui/arrivals/welcome.h"
#include "ui/people/people_page.h"
#include "ui/review/views.h"
#include "ui/shell/fold.h"
#include "ui/shell/words_spin.h"
#include <QAction>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTabWidget>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestWelcome : public QObject {
    Q_OBJECT
    test::Copy copy_;
    QTemporaryDir dir_;

    std::filesystem::path folder(const char* name) const { return dir_.filePath(QLatin1String(name)).toStdString(); }
    /// A clip that is asked about, of that file name; its film is no film.
    std::int64_t asked(Library& lib, const char* file) const {
        static int films = 0;
        const QString place = dir_.filePath(QStringLiteral("films%1").arg(++films));
        if (!QDir().mkpath(place)) return 0;
        QFile film(place + QLatin1Char('/') + QString::fromUtf8(file));
        if (!film.open(QIODevice::WriteOnly)) return 0;
        film.write(file);
        film.close();
        Clip c;
        c.named = file;
        c.state = ClipState::asked;
        c.arrived_on = "2026-11-20";
        const auto id = lib.clips().add(c, film.fileName().toStdString());
        return id && lib.clips().set_state(*id, ClipState::asked, "") ? *id : 0;
    }
    static QAction* action(Bench& b, const char* name) {
        auto* a = b.window->actions_table().find(name);
        if (!a) qFatal("no action %s", name);
        return a;
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_library_without_a_clip_greets_with_three_ways() {
        Bench b(folder("empty"));
        auto* welcome = b.window->arrivals()->findChild<ui::Welcome*>();
        QVERIFY(welcome);
        QTRY_VERIFY_WITH_TIMEOUT(welcome->isVisible(), 20000);
        QVERIFY(!b.window->arrivals()->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->isVisible());
        for (const char* way : {"firstClip", "watchFolder", "openDemo"})
            QVERIFY2(welcome->findChild<QPushButton*>(QLatin1String(way))->isVisible(), way);
        QVERIFY(test::says(*welcome, QString::fromStdString(folder("empty").string()))); // where things are kept
        QVERIFY2(test::clipped(*welcome, QStringLiteral("welcome")).isEmpty(),
                 qPrintable(test::clipped(*welcome, QStringLiteral("welcome")).join(QLatin1Char('\n'))));
        // The folder to be watched is chosen in the settings.
        welcome->findChild<QPushButton*>(QStringLiteral("watchFolder"))->click();
        QDialog* settings = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT((settings = qobject_cast<QDialog*>(QApplication::activeModalWidget())) != nullptr, 20000);
        QVERIFY(settings->findChild<QWidget*>(QStringLiteral("inboxFolder")));
        settings->reject();
        // With the first clip it gives way.
        QVERIFY(asked(*b.session.library, "first.mp4") != 0);
        b.window->arrivals()->refresh();
        QTRY_VERIFY_WITH_TIMEOUT(!welcome->isVisible(), 20000);
    }

    void a_name_in_the_files_name_is_offered_and_no_height_is_made_up_data() {
        QTest::addColumn<QString>("file");
        QTest::addColumn<QString>("offered");
        QTest::newRow("known by the first name") << "ilse evening.mp4"
                                                 << "Ilse Brandvik";
        QTest::newRow("known by the last name") << "2026-11-20_Haddad_2.mov"
                                                << "Noor Haddad";
        QTest::newRow("somebody new") << "Anna gaze.mp4"
                                      << "Anna";
        QTest::newRow("a camera's name") << "IMG_2034.mp4"
                                         << "";
        QTest::newRow("a camera's name in words") << "Video 12.mp4"
                                                  << "";
        QTest::newRow("a movement's name") << "Gaze at the moon.mp4"
                                           << "";
        QTest::newRow("no word") << "20261120-1.mp4"
                                 << "";
        QTest::newRow("markup") << "<b>Anna</b>.mp4"
                                << "Anna";
    }
    void a_name_in_the_files_name_is_offered_and_no_height_is_made_up() {
        QFETCH(QString, file);
        QFETCH(QString, offered);
        static int run = 0;
        const auto demo = folder(qPrintable(QStringLiteral("named%1").arg(++run)));
        std::filesystem::copy(copy_.demo, demo, std::filesystem::copy_options::recursive);
        Bench b(demo);
        QString safe = file;
        safe.remove(QLatin1Char('/'));
        const auto id = asked(*b.session.library, qPrintable(safe));
        QVERIFY(id != 0);
        b.window->arrivals()->refresh();
        b.window->show_place(0, {id});
        auto* button = b.window->arrivals()->findChild<QPushButton*>(QStringLiteral("namedSo"));
        auto* student = b.window->arrivals()->findChild<QComboBox*>(QStringLiteral("student"));
        auto* height = b.window->arrivals()->findChild<QDoubleSpinBox*>(QStringLiteral("height"));
        QTRY_VERIFY_WITH_TIMEOUT(student->isVisible() && student->currentText().isEmpty() && b.background.idle(), 20000);
        QTRY_COMPARE_WITH_TIMEOUT(button->isVisibleTo(b.window.get()), !offered.isEmpty(), 20000);
        if (offered.isEmpty()) return;
        button->click();
        QCOMPARE(student->currentText(), offered);
        const bool known = offered.contains(QLatin1Char(' '));
        QCOMPARE(height->value() > height->minimum(), known); // nobody said how tall Anna is
        if (!known) QCOMPARE(height->text(), QStringLiteral("height?"));
    }

    void a_height_that_nobody_said_is_no_scale_and_can_be_said_later() {
        Bench b(copy_.demo);
        Person p;
        p.name = "Odo Unmeasured";
        p.height_said = false;
        const auto id = *b.session.library->people().add(p);
        const auto person = [&] {
            const auto people = b.session.library->people().all().value();
            return *std::find_if(people.begin(), people.end(), [&](const Person& x) { return x.id == id; });
        };
        QVERIFY(!person().height_said);
        QVERIFY(!review_options(b.session.forms(), Clip{}, person()).stature_m);
        b.window->show_place(b.window->place(QStringLiteral("people")));
        auto* page = b.window->people();
        QTRY_VERIFY_WITH_TIMEOUT(page->shown() != 0, 20000);
        page->show_person(id);
        QTRY_VERIFY_WITH_TIMEOUT(page->shown() == id, 20000);
        auto* height = page->findChild<QDoubleSpinBox*>(QStringLiteral("personHeight"));
        QCOMPARE(height->text(), QStringLiteral("not said"));
        height->setValue(172);
        QTRY_VERIFY_WITH_TIMEOUT(person().height_said, 20000);
        QVERIFY(std::abs(*review_options(b.session.forms(), Clip{}, person()).stature_m - 1.72) < 1e-9);
        page->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(!person().height_said, 20000);
        page->undo().redo();
        QTRY_VERIFY_WITH_TIMEOUT(person().height_said, 20000);
        // What was said is not taken back by an empty field.
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && height->value() > height->minimum(), 20000);
        height->setValue(height->minimum());
        QTRY_VERIFY_WITH_TIMEOUT(std::abs(height->value() - 172) < 1e-9, 20000);
        QVERIFY(person().height_said);
    }

    void control_and_enter_confirms_and_opens_what_was_asked_about() {
        const auto demo = folder("confirm");
        std::filesystem::copy(copy_.demo, demo, std::filesystem::copy_options::recursive);
        {
            auto lib = Library::open(demo);
            QVERIFY(lib && lib->clips().set_state(1, ClipState::asked, ""));
        }
        Bench b(demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->show_place(0, {1});
        auto* take = b.window->arrivals()->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_VERIFY_WITH_TIMEOUT(take->isEnabled() && take->text() == QStringLiteral("That is right"), 20000);
        action(b, "openReviewAction")->trigger();
        QTRY_VERIFY_WITH_TIMEOUT(opened.count() > 0, 60000);
        QCOMPARE(b.window->review()->state().open->clip.id, std::int64_t{1});
        const auto clip = *b.session.library->clips().get(1);
        QVERIFY(clip.state == ClipState::tracked || clip.state == ClipState::reviewed);
    }

    void the_form_beside_is_of_the_clip_that_is_highlighted() {
        Bench b(copy_.demo);
        auto* list = b.window->arrivals()->findChild<QListWidget*>(QStringLiteral("evening"));
        QTRY_VERIFY_WITH_TIMEOUT(list->count() > 2 && b.background.idle(), 20000);
        auto* student = b.window->arrivals()->findChild<QComboBox*>(QStringLiteral("student"));
        int looked = 0;
        for (int row = 0; row < list->count(); ++row) {
            list->setCurrentRow(row);
            const auto clip = *b.session.library->clips().get(list->item(row)->data(Qt::UserRole).toLongLong());
            if (clip.person == 0) continue;
            const auto people = b.session.library->people().all();
            QVERIFY(people);
            std::string name;
            for (const auto& p : *people)
                if (p.id == clip.person) name = p.name;
            QTRY_VERIFY2_WITH_TIMEOUT(student->currentText().toStdString() == name,
                                      qPrintable(QStringLiteral("row %1, clip %2: %3").arg(row).arg(clip.id).arg(student->currentText())),
                                      20000);
            ++looked;
        }
        QVERIFY(looked > 2);
    }

    void a_part_that_is_chosen_shows_what_is_found_of_it() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto* scope = page->findChild<QComboBox*>(QStringLiteral("scope"));
        QCOMPARE(scope->currentIndex(), 0);
        page->state().choose_part(Family::head);
        QCOMPARE(scope->currentIndex(), 1);
        QVERIFY(scope->currentText().endsWith(QStringLiteral("Head")));
        page->state().choose_part(Family::head); // once more: all that matters
        QCOMPARE(scope->currentIndex(), 0);
        // What comes first stands lowest, as in the column beside it.
        std::vector<std::pair<int, int>> placed; // y, family
        for (const auto* card : page->findChildren<QFrame*>(QStringLiteral("card")))
            if (const auto* head = card->findChild<QPushButton*>(QStringLiteral("goto")))
                for (const auto& f : page->state().open->review->findings)
                    if (head->text().startsWith(ui::text::fault(f, b.session.catalogue)) && f.verdict == Verdict::outside &&
                        f.severity != Severity::safety)
                        placed.emplace_back(card->mapTo(page, QPoint()).y(), static_cast<int>(f.family));
        std::sort(placed.begin(), placed.end());
        for (std::size_t i = 1; i < placed.size(); ++i) QVERIFY(placed[i].second <= placed[i - 1].second);
    }

    void the_reference_is_laid_over_a_part_is_played_again_and_a_still_is_kept() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto& state = page->state();
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current() && state.reference_body, 30000);
        auto* picture = page->findChild<ui::PictureView*>(QStringLiteral("studentPicture"));
        state.point_at(nullptr);
        const QImage without = picture->grab().toImage();
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(state.laid_over);
        QVERIFY(picture->grab().toImage() != without);
        QVERIFY(picture->spoken().front().value.contains(QStringLiteral("reference laid over")));
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(picture->grab().toImage() == without);
        // Over and over: the cursor stays within the part it is in.
        const auto* rep = state.repetition_of(state.frame);
        QVERIFY(rep);
        const auto part = std::find_if(rep->phases.begin(), rep->phases.end(),
                                       [&](const auto& p) { return state.time() >= p.start_s && state.time() < p.end_s; });
        QVERIFY(part != rep->phases.end());
        auto* speed = page->findChildren<QComboBox*>().first();
        for (auto* c : page->findChildren<QComboBox*>())
            if (c->accessibleName() == QStringLiteral("Speed")) speed = c;
        speed->setCurrentIndex(speed->count() - 1);
        QTest::keyClick(page, Qt::Key_O);
        int back = 0;
        double before = state.time(), least = 1e9, most = 0;
        const auto watched = connect(&state, &ui::ReviewState::frame_changed, page, [&] {
            const double now = state.time();
            back += now < before - 0.05 ? 1 : 0;
            before = now, least = std::min(least, now), most = std::max(most, now);
        });
        QTRY_VERIFY_WITH_TIMEOUT(back >= 2, 30000);
        disconnect(watched);
        QVERIFY2(least >= part->start_s - 0.1 && most <= part->end_s + 0.25,
                 qPrintable(QStringLiteral("%1 %2 of %3 %4").arg(least).arg(most).arg(part->start_s).arg(part->end_s)));
    }

    void a_still_is_kept_and_hides_who_it_is() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 30000);
        // What leaves hides the face unless that is wanted.
        action(b, "stillAction")->trigger();
        QDialog* dialog = nullptr;
        QTRY_VERIFY_WITH_TIMEOUT((dialog = page->findChild<QDialog*>(QStringLiteral("stillDialog"))) != nullptr, 20000);
        QVERIFY(dialog->findChild<QCheckBox*>(QStringLiteral("hideStill"))->isChecked());
        dialog->reject();
        auto* picture = page->findChild<ui::PictureView*>(QStringLiteral("studentPicture"));
        const QImage open = picture->still(false, 1200), hidden = picture->still(true, 1200);
        QCOMPARE(open.width(), 1200);
        QCOMPARE(hidden.size(), open.size());
        int same = 0, all = 0; // the room is covered
        for (int y = 0; y < open.height(); y += 7)
            for (int x = 0; x < open.width(); x += 7) ++all, same += open.pixel(x, y) == hidden.pixel(x, y) ? 1 : 0;
        QVERIFY2(same < all * 0.6, qPrintable(QStringLiteral("%1 of %2").arg(same).arg(all)));
        const QString file = dir_.filePath(QStringLiteral("moment.png"));
        page->save_still(file, true);
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(file), 20000);
        QTRY_VERIFY_WITH_TIMEOUT(QImage(file).size() == hidden.size(), 20000);
        // A file's name goes out too.
        const QString telling = dir_.filePath(QStringLiteral("ilse at home.png"));
        page->save_still(telling, true);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("tells who it is")), 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        QVERIFY(!QFile::exists(telling));
        // Where it cannot be written, it is said, and the way out is a button.
        page->save_still(QStringLiteral("/nowhere/at/all.png"), false);
        QTRY_VERIFY_WITH_TIMEOUT(page->findChild<QPushButton*>(QStringLiteral("wayOut"))->isVisible(), 20000);
    }

    void a_number_says_in_words_what_it_does() {
        ui::WordsSpin pace(
            [](double v) { return v < 1.05 ? QStringLiteral("usual pace") : QStringLiteral("%1 times as long").arg(v, 0, 'f', 1); }, 1);
        pace.setRange(0.6, 2);
        pace.setDecimals(1);
        pace.setValue(1);
        QCOMPARE(pace.text(), QStringLiteral("usual pace"));
        for (const auto& [typed, value] : {std::pair{"1.3", 1.3}, {"1,4 times as long", 1.4}, {"usual pace", 1.0}, {"2", 2.0}}) {
            pace.findChild<QLineEdit*>()->setText(QString::fromLatin1(typed));
            pace.interpretText();
            QVERIFY2(std::abs(pace.value() - value) < 1e-9, typed);
        }
        for (const char* typed : {"", "quick", "9", "0.1", "-1e99", "usual"}) { // nothing of these is a pace
            pace.setValue(1.5);
            pace.findChild<QLineEdit*>()->setText(QString::fromLatin1(typed));
            pace.interpretText();
            QVERIFY2(pace.value() >= 0.6 && pace.value() <= 2, typed);
        }
    }

    void what_is_folded_says_its_value() {
        auto* inside = new QVBoxLayout;
        auto* box = new QCheckBox(QStringLiteral("knees"));
        inside->addWidget(box);
        ui::Fold fold(QStringLiteral("Asks for care"), inside,
                      [box] { return box->isChecked() ? box->text() : QStringLiteral("nothing"); });
        fold.resize(300, 200);
        fold.show();
        auto* head = fold.findChild<QToolButton*>(QStringLiteral("fold"));
        QCOMPARE(head->accessibleName(), QStringLiteral("Asks for care: nothing"));
        QVERIFY(!box->isVisible());
        head->click();
        QVERIFY(box->isVisible());
        box->setChecked(true);
        fold.refresh();
        head->click();
        QVERIFY(!box->isVisible());
        QCOMPARE(head->text(), QStringLiteral("Asks for care: knees"));
    }
};

QTEST_MAIN(TestWelcome)
#include "test_welcome.moc"
