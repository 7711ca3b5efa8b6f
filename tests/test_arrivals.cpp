// Arrivals in the real window: clips cut into parts, paired, put in order, one of several people chosen, films kept until a day.
#include "core/review/look.h"
#include "media/clip.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/keeping_dialog.h"
#include "ui/arrivals/meant_dialog.h"
#include "ui/arrivals/parts_dialog.h"
#include <cmath>
#include <QCheckBox>
#include <QDateEdit>
#include <QMessageBox>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTableWidget>
#include <QTabWidget>
#include <QTimer>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestArrivals : public QObject {
    Q_OBJECT
    test::Copy copy_;
    int copies_ = 0;

    /// A copy of its own, for tests that change much.
    std::filesystem::path fresh() {
        const auto to = std::filesystem::path(copy_.dir.filePath(QStringLiteral("own%1").arg(copies_++)).toStdString());
        std::filesystem::copy(copy_.demo, to, std::filesystem::copy_options::recursive);
        return to;
    }
    static QTableView* table(Bench& b) { return b.window->arrivals()->findChild<QTableView*>(QStringLiteral("clips")); }
    /// Chooses the row of a clip by its student and view.
    static bool choose(Bench& b, const QString& student, const QString& view, const QString& movement = {}) {
        auto* t = table(b);
        if (!QTest::qWaitFor([&] { return rows(t) > 0 && b.background.idle(); }, 20000)) return false;
        for (int i = 0; i < rows(t); ++i)
            if (cell(t, i, 0) == student && cell(t, i, 2).contains(view) && cell(t, i, 1).contains(movement)) {
                t->selectRow(i);
                return true;
            }
        return false;
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_clip_is_cut_by_mouse_and_keys_and_every_step_is_undone() {
        const auto folder = fresh();
        Bench b(folder);
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QVERIFY(choose(b, QStringLiteral("Tomas Erikse"), QStringLiteral("left")));
        auto* cut = b.window->arrivals()->findChild<QPushButton*>(QStringLiteral("cutParts"));
        QTRY_VERIFY_WITH_TIMEOUT(cut->isEnabled(), 30000);
        QTest::mouseClick(cut, Qt::LeftButton);
        auto* dialog = b.window->arrivals()->findChild<ui::PartsDialog*>();
        QVERIFY(dialog);
        QSignalSpy ready(dialog, &ui::PartsDialog::ready);
        QTRY_COMPARE_WITH_TIMEOUT(ready.count(), 1, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(dialog->complete(), 20000);
        auto& strip = dialog->strip();
        // One part is suggested: what was performed, without the standing about it.
        QCOMPARE(strip.parts().size(), std::size_t{1});
        const auto suggested = strip.parts()[0];
        QCOMPARE(suggested.movement, std::string("part_the_horses_mane"));
        const double end = b.session.library->tracks().load(2)->time_s.back();
        QVERIFY(suggested.from_s > 0.3 && suggested.to_s <= end);
        // One person is no row of people; a name that nobody has is said, one that is there is taken, and both steps are undone.
        QVERIFY(!dialog->findChild<QPushButton*>(QStringLiteral("byPerson"))->isEnabled());
        const auto steps = dialog->steps().count();
        dialog->name_in_turn(QStringLiteral("Nobody Atall\nIlse"));
        QVERIFY(test::says(*dialog, QStringLiteral("Nobody Atall")) && test::says(*dialog, QStringLiteral("2 names for 1 parts")));
        QCOMPARE(dialog->steps().count(), steps);
        dialog->name_in_turn(QStringLiteral("ilse\n"));
        const auto ilse = b.session.library->clips().get(1)->person;
        QCOMPARE(strip.parts()[0].person, ilse);
        QCOMPARE(dialog->findChild<QComboBox*>(QStringLiteral("partPerson"))->currentText(), QStringLiteral("Ilse Brandvik"));
        dialog->steps().undo();
        QCOMPARE(strip.parts()[0].person, qint64{0});
        // Split with S at a place reached by the keys, merged with M, undone with Ctrl+Z.
        strip.setFocus();
        strip.set_at(20);
        for (int i = 0; i < 3; ++i) QTest::keyClick(&strip, Qt::Key_Right, Qt::ShiftModifier);
        QVERIFY(std::abs(strip.at() - 23) < 1e-6);
        QTest::keyClick(&strip, Qt::Key_S);
        QCOMPARE(strip.parts().size(), std::size_t{2});
        QVERIFY(std::abs(strip.parts()[0].to_s - 23) < 1e-6 && std::abs(strip.parts()[1].from_s - 23) < 1e-6);
        QCOMPARE(strip.chosen(), 1);
        QTest::keyClick(&strip, Qt::Key_Up);
        QTest::keyClick(&strip, Qt::Key_M);
        QCOMPARE(strip.parts().size(), std::size_t{1});
        QTest::keyClick(dialog, Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(strip.parts().size(), std::size_t{2});
        // An edge is dragged with the mouse, and cannot be dragged into the other part.
        const QPoint edge(static_cast<int>(strip.x_of(suggested.from_s)), strip.height() / 2);
        QTest::mousePress(&strip, Qt::LeftButton, {}, edge);
        QTest::mouseMove(&strip, QPoint(static_cast<int>(strip.x_of(8)), edge.y()));
        QTest::mouseRelease(&strip, Qt::LeftButton, {}, QPoint(static_cast<int>(strip.x_of(8)), edge.y()));
        QVERIFY2(std::abs(strip.parts()[0].from_s - 8) < 0.2, qPrintable(QString::number(strip.parts()[0].from_s)));
        const QPoint meeting(static_cast<int>(strip.x_of(23)) + 2, strip.height() / 2);
        QTest::mousePress(&strip, Qt::LeftButton, {}, meeting);
        QTest::mouseMove(&strip, QPoint(static_cast<int>(strip.x_of(12)), edge.y()));
        QTest::mouseRelease(&strip, Qt::LeftButton, {}, QPoint(static_cast<int>(strip.x_of(12)), edge.y()));
        QVERIFY(strip.parts()[1].from_s >= strip.parts()[0].to_s - 1e-6);
        while (dialog->steps().canUndo()) dialog->steps().undo();
        QCOMPARE(strip.parts().size(), std::size_t{1});
        QVERIFY(strip.parts()[0].from_s < 1e-6); // as it was before anything was suggested
        while (dialog->steps().canRedo()) dialog->steps().redo();
        // The first part is to be left out.
        QTest::keyClick(&strip, Qt::Key_Down);
        QTest::keyClick(&strip, Qt::Key_Up);
        dialog->findChild<QPushButton*>(QStringLiteral("undoPart"))->click(); // the drags
        auto* go = dialog->findChild<QPushButton*>(QStringLiteral("cut"));
        QCOMPARE(go->text(), QStringLiteral("Cut into 2 clips"));
        const auto parts = strip.parts();
        QTest::mouseClick(go, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(rows(table(b)), test::demo_clips + 1, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("Cut into 2 clips.")), 20000);
        const auto kept = b.session.library->clips().parts_of(2);
        QVERIFY(kept && kept->size() == 2);
        for (std::size_t i = 0; i < 2; ++i) {
            QVERIFY(std::abs(*(*kept)[i].part_from_s - parts[i].from_s) < 1e-9 && std::abs(*(*kept)[i].part_to_s - parts[i].to_s) < 1e-9);
            QVERIFY((*kept)[i].person == 2 && (*kept)[i].movement == "part_the_horses_mane");
            // Judged by itself: its repetitions lie inside it.
            QVERIFY((*kept)[i].state == ClipState::tracked || (*kept)[i].state == ClipState::reviewed);
        }
    }
    void the_clip_whose_phone_heard_the_same_is_offered_as_the_second() {
        const auto folder = fresh();
        {
            auto lib = *Library::open(folder);
            Clip c = *lib.clips().get(7);
            const auto track = lib.tracks().load(7);
            QVERIFY(track.has_value());
            ClipGuess guess;
            guess.people = {{c.person, 0.99}};
            guess.movements = {{.movement = c.movement, .probability = 0.99}};
            guess.view = "right", guess.heard_with = 2;
            c.person = 0, c.movement.clear(); // days apart by their files: the sound counts
            QVERIFY(lib.clips().set_facts(c).has_value());
            QVERIFY(keep_asked(lib, c, *track, {}, guess).has_value());
        }
        Bench b(folder);
        auto* t = table(b);
        QTRY_VERIFY_WITH_TIMEOUT(rows(t) > 0 && b.background.idle(), 30000);
        auto* page = b.window->arrivals();
        auto* pair = page->findChild<QComboBox*>(QStringLiteral("pair"));
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QVERIFY(choose(b, QStringLiteral("tomas-mane-right.mp4"), QString()));
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("Another phone heard the same at that time: Tomas Erikse")), 20000);
        QTRY_COMPARE_WITH_TIMEOUT(pair->currentData().toString(), QStringLiteral("2"), 20000);
    }
    void two_clips_are_paired_and_both_pictures_are_of_the_same_moment() {
        const auto folder = fresh();
        {
            // Filmed on one evening: then it is suggested.
            auto lib = *Library::open(folder);
            Clip c = *lib.clips().get(7);
            c.filmed_on = "2026-11-05";
            QVERIFY(lib.clips().set_facts(c).has_value());
        }
        Bench b(folder);
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QVERIFY(choose(b, QStringLiteral("Tomas Erikse"), QStringLiteral("right")));
        auto* page = b.window->arrivals();
        auto* pair = page->findChild<QComboBox*>(QStringLiteral("pair"));
        QTRY_VERIFY_WITH_TIMEOUT(pair->isVisible(), 30000);
        QCOMPARE(pair->count(), 2); // none, and the one from the left
        QVERIFY(pair->itemText(1).contains(QStringLiteral("left")));
        pair->setCurrentIndex(1);
        emit pair->activated(1);
        auto* save = page->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_VERIFY_WITH_TIMEOUT(save->isEnabled(), 30000);
        QTest::mouseClick(save, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->clips().get(7)->pair, qint64{2}, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(save->isEnabled(), 20000);
        // Undone and done again.
        page->undo().undo();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->clips().get(2)->pair, qint64{0}, 20000);
        page->undo().redo();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->clips().get(2)->pair, qint64{7}, 20000);
        auto* review = b.window->review();
        QSignalSpy opened(review, &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* other = review->findChild<ui::PictureView*>(QStringLiteral("partnerPicture"));
        QVERIFY(other->isVisible());
        QTRY_VERIFY_WITH_TIMEOUT(review->shows_current(), 20000);
        auto& state = review->state();
        QVERIFY(state.open->partner && state.open->partner->clip.id == 7);
        // At the middle of each repetition the other clip is in the repetition of the same side, at the same phase.
        const auto &here = state.open->review->alignment, &there = state.open->partner->review->alignment;
        int compared = 0;
        for (const auto& rep : here.repetitions)
            for (const auto& p : rep.phases) {
                state.set_time(0.5 * (p.start_s + p.end_s));
                const auto frame = state.partner_frame();
                QVERIFY(frame.has_value());
                const auto* answer = there.at(state.open->partner->track.time_s[*frame]);
                QVERIFY(answer);
                QVERIFY(answer->side == rep.side || std::none_of(there.repetitions.begin(), there.repetitions.end(),
                                                                 [&](const Repetition& r) { return r.side == rep.side; }));
                const double mine = rep.to_reference(state.time()),
                             theirs = answer->to_reference(state.open->partner->track.time_s[*frame]);
                QVERIFY2(std::abs(mine - theirs) < 0.15, qPrintable(QStringLiteral("%1 %2").arg(mine).arg(theirs)));
                ++compared;
            }
        QVERIFY(compared > 6);
        // A finding of the other clip leads to its very moment there; X puts that clip first, at the same moment.
        const Finding* theirs = nullptr;
        for (const auto& f : state.open->review->findings)
            if (f.of_clip == 1 && f.verdict != Verdict::cannot_tell) theirs = &f;
        QVERIFY(theirs);
        const double moment = theirs->time_s;
        state.go_to(*theirs);
        QTRY_VERIFY_WITH_TIMEOUT(review->shows_current(), 20000);
        QVERIFY(std::abs(state.open->partner->track.time_s[*state.partner_frame()] - moment) < 0.05);
        QTest::keyClick(review, Qt::Key_X);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 2, 30000);
        QCOMPARE(state.open->clip.id, qint64{7});
        QVERIFY2(std::abs(state.time() - moment) < 0.06, qPrintable(QString::number(state.time() - moment)));
        // What is decided in one is decided in both.
        const auto before = b.session.library->decisions().of(2)->size();
        const Finding* fault = nullptr;
        for (const auto& f : state.open->review->findings)
            if (f.verdict == Verdict::outside && state.decision_of(f).choice == Choice::open) fault = &f;
        if (fault) {
            for (auto* keep : review->findChildren<QToolButton*>(QStringLiteral("keep")))
                if (!keep->isChecked()) {
                    keep->click();
                    break;
                }
            QTRY_VERIFY_WITH_TIMEOUT(b.session.library->decisions().of(2)->size() > before, 20000);
        }
        QCOMPARE(b.session.library->decisions().of(7)->size(), b.session.library->decisions().of(2)->size());
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
    }
    void one_of_several_people_is_chosen_by_a_click_and_looked_for() {
        const auto folder = fresh();
        // Two people side by side, and a limit that says so.
        sim::TakeOptions one = sim::take_of(9, 1.78), two = sim::take_of(12, 1.60);
        one.phone.width = two.phone.width = 640;
        one.phone.height = two.phone.height = 720;
        one.phone.focal = two.phone.focal = 1.2;
        two.phone.distance_m = 5.2;
        one.from_s = two.from_s = 2;
        one.to_s = two.to_s = 2.6;
        const sim::Take a(test::movement("gaze_at_the_moon"), one), c(test::movement("gaze_at_the_moon"), two);
        const auto file = copy_.dir.filePath(QStringLiteral("two.mp4")).toStdString();
        auto w = ClipWriter::create(file, 1280, 720, 24);
        QVERIFY(w.has_value());
        for (std::size_t i = 0; i < std::min(a.frames(), c.frames()); ++i) {
            const sim::Image l = a.picture(i), r = c.picture(i);
            sim::Image im;
            im.width = 1280, im.height = 720;
            for (int y = 0; y < 720; ++y)
                for (const auto* half : {&l, &r})
                    im.rgb.insert(im.rgb.end(), half->rgb.begin() + y * 640 * 3, half->rgb.begin() + (y + 1) * 640 * 3);
            QVERIFY(w->add(im, static_cast<double>(i) / 24).has_value());
        }
        QVERIFY(w->finish().has_value());
        Bench b(folder);
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        b.session.inbox->take({QString::fromStdString(file)});
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().all()->size() == test::demo_clips + 1, 20000);
        const auto id = b.session.library->clips().all()->front().id;
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(id)->quality.has_value() && b.session.finding->running() == 0, 60000);
        const auto first = *b.session.library->tracks().load(id);
        const auto limits = b.session.library->clips().get(id)->quality->limits;
        QVERIFY(std::any_of(limits.begin(), limits.end(), [](const Limit& l) { return l.kind == LimitKind::several_people; }));
        QTRY_VERIFY_WITH_TIMEOUT(choose(b, QStringLiteral("two.mp4"), QString()), 20000);
        auto* ask = b.window->arrivals()->findChild<QPushButton*>(QStringLiteral("whoIsMeant"));
        QTRY_VERIFY_WITH_TIMEOUT(ask->isVisible(), 20000);
        QTest::mouseClick(ask, Qt::LeftButton);
        auto* dialog = b.window->arrivals()->findChild<ui::MeantDialog*>();
        QVERIFY(dialog);
        QTRY_COMPARE_WITH_TIMEOUT(dialog->view().people().size(), std::size_t{2}, 20000);
        // The one who was not followed: the smaller one, on the right.
        QVERIFY((*first.px[5])[left_hip].x < 640);
        const auto& right = dialog->view().people()[1];
        QVERIFY(right.cx > 640);
        QTest::mouseClick(&dialog->view(), Qt::LeftButton, {}, dialog->view().to_view({right.cx, right.cy}).toPoint());
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(id)->meant.has_value(), 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(id)->state != ClipState::waiting && b.session.finding->running() == 0,
                                 60000);
        const auto again = *b.session.library->tracks().load(id);
        int over = 0, found = 0;
        for (const auto& f : again.px)
            if (f) {
                ++found;
                over += (*f)[left_hip].x > 640 ? 1 : 0;
            }
        QVERIFY(found > 8 && over == found);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
    }
    void clips_that_wait_are_dragged_into_order() {
        const auto folder = fresh();
        {
            auto lib = *Library::open(folder);
            for (const std::int64_t id : {3, 4, 5}) QVERIFY(lib.clips().set_state(id, ClipState::waiting, "").has_value());
            QVERIFY(lib.clips().set_turns({3, 4, 5}).has_value());
        }
        Bench b(folder);
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        b.session.finding->rest(true);
        b.session.finding->stop();
        QTRY_VERIFY_WITH_TIMEOUT(b.session.finding->running() == 0 && b.background.idle(), 60000);
        {
            auto& lib = *b.session.library;
            for (const std::int64_t id : {3, 4, 5}) QVERIFY(lib.clips().set_state(id, ClipState::waiting, "").has_value());
            b.session.workspace->touched(0);
        }
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
        QVERIFY(choose(b, QStringLiteral("Noor Haddad"), QStringLiteral("front"), QStringLiteral("Gaze"))); // clip 5
        auto* t = table(b);
        int wen = -1;
        for (int i = rows(t) - 1; i >= 0; --i) // the newest of hers that waits
            if (cell(t, i, 0) == QLatin1String("Wen Adeyemi") && cell(t, i, 1).contains(QLatin1String("Clouds"))) wen = i;
        QVERIFY(wen >= 0);
        b.window->arrivals()->put_before(t->currentIndex().row(), wen); // what a drop of that row upon the other does
        auto in_order = [&] {
            const auto five = b.session.library->clips().get(5);
            const auto three = b.session.library->clips().get(3);
            const auto four = b.session.library->clips().get(4);
            return five->turn < three->turn && three->turn < four->turn;
        };
        QTRY_VERIFY_WITH_TIMEOUT(in_order(), 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
    }
    void films_are_kept_until_a_day_and_go_only_when_said() {
        const auto folder = fresh();
        Bench b(folder);
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QTRY_VERIFY_WITH_TIMEOUT(rows(table(b)) == test::demo_clips && b.background.idle(), 20000);
        b.window->actions_table().find("keeping")->trigger();
        auto* dialog = b.window->arrivals()->findChild<ui::KeepingDialog*>();
        QVERIFY(dialog);
        auto* rows = dialog->findChild<QTableWidget*>(QStringLiteral("keeping"));
        QTRY_COMPARE_WITH_TIMEOUT(rows->rowCount(), 6, 20000);
        auto* remove = dialog->findChild<QPushButton*>(QStringLiteral("removePast"));
        QVERIFY(!remove->isEnabled());
        // Wen's until a day that has passed.
        dialog->findChild<QCheckBox*>(QStringLiteral("ends3"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(!b.session.library->people().all()->empty() && b.background.idle(), 20000);
        QCoreApplication::processEvents();
        dialog->findChild<QDateEdit*>(QStringLiteral("day3"))->setDate(QDate::currentDate().addDays(-1));
        QTRY_VERIFY_WITH_TIMEOUT(remove->isEnabled(), 20000);
        QCOMPARE(remove->text(), QStringLiteral("Remove 3 films past their day …"));
        const auto clip = *b.session.library->clips().get(3);
        auto answer = [&](bool yes) {
            QTimer::singleShot(0, dialog, [dialog, yes] {
                auto* box = dialog->findChild<QMessageBox*>(QStringLiteral("question"));
                QVERIFY(box);
                for (auto* button : box->buttons())
                    if ((box->buttonRole(button) == QMessageBox::DestructiveRole) == yes) button->click();
            });
        };
        answer(false);
        remove->click();
        QVERIFY(b.session.library->clips().has_file(clip)); // not without being asked
        answer(true);
        remove->click();
        QTRY_VERIFY_WITH_TIMEOUT(!b.session.library->clips().has_file(clip), 20000);
        QVERIFY(b.session.library->tracks().load(3).has_value());
        QTRY_VERIFY_WITH_TIMEOUT(!remove->isEnabled(), 20000);
        dialog->close();
        // Its review opens all the same.
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(3);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        QVERIFY(!b.window->review()->state().open->has_file);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
    }
    void the_time_that_is_left_is_told() {
        const auto folder = fresh();
        {
            auto lib = *Library::open(folder);
            for (const std::int64_t id : {6, 7}) QVERIFY(lib.clips().set_state(id, ClipState::waiting, "").has_value());
        }
        Bench b(folder);
        b.session.settings.model = ui::BodyModel::lite; // the quick one: what is told is of any
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        // Told after the first tenth of all that is to be done, against what it then takes.
        std::size_t all = 0;
        for (const std::int64_t id : {6, 7}) all += b.session.library->tracks().load(id)->frames();
        QElapsedTimer clock;
        double told = 0, at = 0;
        std::size_t frames = 0;
        connect(b.session.finding, &ui::FindingQueue::frame, this, [&] {
            frames += 5;
            if (told == 0 && frames * 10 > all && b.session.finding->left_s() && *b.session.finding->left_s() > 0) {
                told = *b.session.finding->left_s();
                at = static_cast<double>(clock.nsecsElapsed()) * 1e-9;
            }
        });
        clock.start();
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(6)->state == ClipState::tracked &&
                                     b.session.library->clips().get(7)->state == ClipState::tracked && b.session.finding->running() == 0,
                                 120000);
        const double took = static_cast<double>(clock.nsecsElapsed()) * 1e-9 - at;
        QVERIFY(told > 0);
        qInfo("told %.1f s, took %.1f s", told, took);
        // Speed is not asserted: a machine that does other things besides may take three times as long.
        QVERIFY(told < 3 * took && told > took / 3);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
    }
};

QTEST_MAIN(TestArrivals)
#include "test_arrivals.moc"
