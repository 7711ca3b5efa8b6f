// What the instructor brings of their own, in the real window: a remark at a moment, a clip that shows how it is meant, a movement learned
// from clips.
#include "core/review/trend.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/forms/learn_dialog.h"
#include "ui/paint/sending.h"
#include "ui/review/holds_dialog.h"
#include "ui/review/review_page.h"
#include "ui/review/seen_dialog.h"
#include <nlohmann/json.hpp>
#include <QAction>
#include <QComboBox>
#include <QFile>
#include <QLineEdit>
#include <QListWidget>
#include <QMouseEvent>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTableWidget>
#include <QTextBrowser>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestOwn : public QObject {
    Q_OBJECT
    test::Copy copy_;

    static ui::ReviewPage* open(Bench& b, qint64 clip) {
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(clip);
        if (!QTest::qWaitFor([&] { return opened.count() > 0 && b.window->review()->shows_current(); }, 40000)) qFatal("not opened");
        return b.window->review();
    }
    static int remarks(const ui::ReviewPage* page) {
        const auto& all = const_cast<ui::ReviewPage*>(page)->state().open->review->findings;
        return static_cast<int>(std::count_if(all.begin(), all.end(), [](const Finding& f) { return f.by_hand; }));
    }
    /// The clip of a movement by a person of the demo.
    static qint64 clip_of(Bench& b, const std::string& movement, const std::string& who) {
        const std::vector<Person> people = b.session.library->people().all().value();
        const std::vector<Clip> clips = b.session.library->clips().all().value();
        for (const auto& c : clips)
            for (const auto& p : people)
                if (p.id == c.person && c.movement == movement && p.name.starts_with(who)) return c.id;
        qFatal("no such clip");
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void something_seen_is_said_in_the_letter_and_can_be_taken_back() {
        const QString words = QStringLiteral("Let the little finger of the left hand come down last.");
        qint64 clip = 0;
        {
            Bench b(copy_.demo);
            clip = clip_of(b, "gaze_at_the_moon", "Ilse");
            auto* page = open(b, clip);
            page->state().set_time(6.0);
            page->state().set_family(Family::arms);
            QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
            QTest::keyClick(page, Qt::Key_N);
            auto* dialog = page->findChild<ui::SeenDialog*>();
            QVERIFY(dialog && dialog->isVisible());
            QCOMPARE(dialog->findChild<QComboBox*>(QStringLiteral("seenFamily"))->currentData().toInt(), static_cast<int>(Family::arms));
            auto* keep = dialog->findChild<QPushButton*>();
            for (auto* button : dialog->findChildren<QPushButton*>())
                if (button->text() == QLatin1String("Keep it")) keep = button;
            QVERIFY(!keep->isEnabled()); // nothing was said yet
            dialog->findChild<QPlainTextEdit*>(QStringLiteral("seenWords"))->setPlainText(words);
            auto* side = dialog->findChild<QComboBox*>(QStringLiteral("seenSide"));
            side->setCurrentIndex(side->findData(QStringLiteral("left")));
            keep->click();
            QTRY_COMPARE_WITH_TIMEOUT(remarks(page), 1, 30000);
            QVERIFY(test::says(*b.window, words));
            const auto& findings = page->state().open->review->findings;
            const auto at = std::find_if(findings.begin(), findings.end(), [](const Finding& f) { return f.by_hand; });
            QVERIFY(std::abs(at->time_s - 6.0) < 0.1 && at->side == Side::left && at->family == Family::arms && !at->phase.empty());
            // From the ground up: nothing lower comes after it among what is outside, safety aside.
            for (auto f = at + 1; f != findings.end(); ++f)
                QVERIFY(f->verdict != Verdict::outside || f->severity == Severity::safety || f->family >= Family::arms);
            // Undone and done again; the clip stays open at its moment.
            page->undo().undo();
            QTRY_COMPARE_WITH_TIMEOUT(remarks(page), 0, 30000);
            page->undo().redo();
            QTRY_COMPARE_WITH_TIMEOUT(remarks(page), 1, 30000);
            QVERIFY(std::abs(page->state().time() - 6.0) < 0.1);
            // It is kept from the start, and stands in the letter as words with a moment and no figure.
            b.window->show_place(b.window->place(QStringLiteral("letter")));
            auto* corrections = b.window->letter()->findChild<QListWidget*>(QStringLiteral("corrections"));
            const auto listed = [&] {
                for (int i = 0; i < corrections->count(); ++i)
                    if (corrections->item(i)->text().contains(words)) return corrections->item(i)->checkState() == Qt::Checked;
                return false;
            };
            QTRY_VERIFY_WITH_TIMEOUT(listed(), 30000);
            auto* html = b.window->letter();
            const QString file = copy_.dir.filePath(QStringLiteral("seen.html"));
            QTRY_VERIFY_WITH_TIMEOUT(html->findChild<QPushButton*>(QStringLiteral("primary"))->isEnabled(), 60000);
            html->export_to(file);
            QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(file), 60000);
            QFile f(file);
            QVERIFY(f.open(QIODevice::ReadOnly));
            const QString page_text = QString::fromUtf8(f.readAll());
            QVERIFY(page_text.contains(words.toHtmlEscaped()));
            QVERIFY(page_text.contains(QStringLiteral("0:06.0")));
        }
        Bench b(copy_.demo);
        auto* page = open(b, clip);
        QCOMPARE(remarks(page), 1); // after a restart
        QPointer<QToolButton> out = page->findChild<QToolButton*>(QStringLiteral("takeOut"));
        QVERIFY(out);
        QTest::mouseClick(out.data(), Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(remarks(page), 0, 30000);
        QVERIFY(b.session.library->decisions().seen_in(clip)->empty());
    }

    void the_instructors_clip_stands_in_place_of_the_figure() {
        Bench b(copy_.demo);
        const qint64 shows = clip_of(b, "separate_the_clouds", "Paulo"), student = clip_of(b, "separate_the_clouds", "Wen");
        auto* page = open(b, student);
        auto* beside = page->findChild<ui::PictureView*>(QStringLiteral("partnerPicture"));
        page->want_model(true);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("No clip was chosen")), 20000); // and what to do
        page = open(b, shows);
        b.window->actions_table().find("beModel")->trigger();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().model_of("separate_the_clouds"), shows, 20000);
        QVERIFY(!page->state().shows_model()); // not beside itself
        page = open(b, student);
        QTRY_VERIFY_WITH_TIMEOUT(page->state().shows_model() && page->shows_current(), 40000);
        QVERIFY(beside->isVisible());
        // At the same moment of the movement: end of the first phase there and here.
        const auto& here = page->state().open->review->alignment.repetitions[1];
        page->state().set_time(here.phases[0].end_s);
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
        const auto& there = *page->state().beside;
        const double t = there.track.time_s[*page->state().partner_frame()];
        double nearest = 1e9;
        for (const auto& r : there.review->alignment.repetitions) nearest = std::min(nearest, std::abs(r.phases[0].end_s - t));
        QVERIFY2(nearest < 0.25, qPrintable(QString::number(nearest)));
        // Neither face nor name of somebody else, as long as they have not agreed to be shown.
        QVERIFY(page->state().beside_hidden);
        QVERIFY(!beside->spoken().front().value.contains(QStringLiteral("Paulo")));
        QVERIFY(beside->spoken().front().value.contains(QStringLiteral("as it is meant")));
        const QImage covered = beside->grab().toImage();
        QTest::keyClick(page, Qt::Key_I); // the figure again
        QVERIFY(!page->state().shows_model() && !beside->isVisible());
        PersonFacts facts = *b.session.library->people().facts(there.person.id);
        facts.consent = "Kept at home, not shown to the group"; // words say nothing of a purpose
        set_consent(facts, Purpose::shown, true, "2026-11-03");
        QVERIFY(b.session.library->people().set_facts(there.person.id, facts).has_value());
        QTest::keyClick(page, Qt::Key_I);
        QTRY_VERIFY_WITH_TIMEOUT(page->state().shows_model() && page->shows_current(), 40000);
        QVERIFY(beside->spoken().front().value.contains(QStringLiteral("Paulo")));
        QVERIFY(beside->grab().toImage() != covered);
        QTest::keyClick(page, Qt::Key_I);
        QVERIFY(!page->state().shows_model() && !beside->isVisible());
        // The clip goes: nothing is shown beside any more, and that is no fault.
        QVERIFY(b.session.library->clips().remove(shows).has_value());
        QCOMPARE(b.session.library->forms().model_of("separate_the_clouds"), std::int64_t{0});
    }

    void a_movement_is_learned_from_clips_and_kept() {
        Bench b(copy_.demo);
        const qint64 clip = clip_of(b, "gaze_at_the_moon", "Noor");
        auto* page = open(b, clip);
        b.window->actions_table().find("learnFrom")->trigger();
        QTRY_VERIFY_WITH_TIMEOUT(b.window->forms()->findChild<ui::LearnDialog*>(), 30000);
        auto* dialog = b.window->forms()->findChild<ui::LearnDialog*>();
        QVERIFY(!page->isVisible()); // Forms came to the front
        const auto ready = [&] { return !dialog->busy() && dialog->laid_out() == clip && !dialog->layout_of().phases.empty(); };
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 40000);
        // As the movement of the clip has it.
        QCOMPARE(dialog->layout_of().phases.size(), b.session.movement("gaze_at_the_moon")->phases.size());
        QVERIFY(dialog->findChild<QLineEdit*>(QStringLiteral("learnName"))->text().contains(QStringLiteral("my way")));
        // A border is moved by keys, undone and done again; the picture goes along.
        const double was = dialog->layout_of().phases[0].end_s;
        dialog->strip().setFocus();
        dialog->strip().choose(0);
        QTest::keyClick(&dialog->strip(), Qt::Key_Right, Qt::ControlModifier);
        QVERIFY(std::abs(dialog->layout_of().phases[0].end_s - was - 0.05) < 1e-9);
        QVERIFY(std::abs(dialog->strip().at() - was - 0.05) < 1e-9);
        dialog->steps().undo();
        QCOMPARE(dialog->layout_of().phases[0].end_s, was);
        dialog->steps().redo();
        // Dragged with the mouse too, never beyond its neighbour.
        const auto point = [&](double t) { return QPoint(static_cast<int>(dialog->strip().x_of(t)), dialog->strip().height() / 2); };
        QTest::mousePress(&dialog->strip(), Qt::LeftButton, {}, point(dialog->layout_of().phases[0].end_s));
        QMouseEvent move(QEvent::MouseMove, point(dialog->layout_of().phases[1].end_s + 2), QPointF(), Qt::NoButton, Qt::LeftButton, {});
        QCoreApplication::sendEvent(&dialog->strip(), &move);
        QTest::mouseRelease(&dialog->strip(), Qt::LeftButton, {}, point(dialog->layout_of().phases[1].end_s + 2));
        QVERIFY(dialog->layout_of().phases[0].end_s < dialog->layout_of().phases[1].end_s);
        dialog->steps().undo();
        // A phase gets a name of its own.
        dialog->findChild<QTableWidget*>(QStringLiteral("laidPhases"))->item(0, 0)->setText(QStringLiteral("Turn to the river"));
        QTRY_COMPARE_WITH_TIMEOUT(dialog->layout_of().phases[0].name, std::string("Turn to the river"), 30000);
        dialog->findChild<QLineEdit*>(QStringLiteral("learnName"))->setText(QStringLiteral("River moon"));
        auto* keep = dialog->findChild<QPushButton*>(QStringLiteral("primary"));
        QVERIFY(!keep->isEnabled());
        dialog->findChild<QPushButton*>(QStringLiteral("learnNow"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(!dialog->busy(), 60000);
        QVERIFY2(keep->isEnabled(),
                 qPrintable(dialog->findChild<QLabel*>(QStringLiteral("faint")) ? QString() : QStringLiteral("not learned")));
        QVERIFY(test::says(*dialog, QStringLiteral("repetitions found")));
        keep->click();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().all()->size(), std::size_t{1}, 20000);
        const auto m = b.session.movement("own_river_moon");
        QVERIFY(m && m->own && m->recorded && m->recorded->repetitions >= 3);
        QCOMPARE(m->phases[0].name, std::string("Turn to the river"));
        QCOMPARE(b.window->forms()->shown(), QStringLiteral("own_river_moon"));
        auto* recorded = b.window->forms()->findChild<QTextBrowser*>(QStringLiteral("recorded"));
        QVERIFY(!recorded->isHidden() && recorded->toPlainText().contains(QStringLiteral("2026-11-12, front")));
        QVERIFY(m->source->find("Noor") == std::string::npos);  // a movement goes to others: nobody's name is in it
        QVERIFY(recorded->toPlainText().contains(QChar(0xb1))); // mean and spread
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().model_of("own_river_moon"), clip, 20000);
        // The clip it was learned from has no fault by it; it is undone like any other change.
        Clip c = b.session.library->clips().get(clip).value();
        c.movement = "own_river_moon";
        QVERIFY(b.session.library->clips().set_facts(c).has_value());
        page = open(b, clip);
        for (const auto& f : page->state().open->review->findings)
            QVERIFY2(f.verdict != Verdict::outside || f.once || f.severity == Severity::safety, f.check.c_str());
        c.movement = "gaze_at_the_moon";
        QVERIFY(b.session.library->clips().set_facts(c).has_value());
        b.window->show_place(b.window->place(QStringLiteral("forms")));
        b.window->forms()->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->forms().all()->empty(), 20000);
        QVERIFY(!b.session.movement("own_river_moon"));
    }

    void a_band_of_a_movement_judges_the_open_review_at_once() {
        Bench b(copy_.demo);
        const qint64 clip = clip_of(b, "gaze_at_the_moon", "Ilse");
        auto* page = open(b, clip);
        page->state().set_time(7);
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
        const auto before = page->state().open;
        // A finding that is inside gets a band beyond which it lies: outside, from what was summarised.
        const auto& all = before->review->findings;
        const auto f = std::find_if(all.begin(), all.end(), [](const Finding& x) {
            return x.verdict == Verdict::inside && x.whose <= BandLevel::movement && x.high && !x.low && !x.widened;
        });
        QVERIFY(f != all.end());
        auto j = nlohmann::json::parse(*b.session.movement("gaze_at_the_moon")->source);
        if (!j.contains("bands")) j["bands"] = nlohmann::json::array();
        j["bands"].push_back({{"check", f->check}, {"high", f->value - 8 * f->sigma - 3 * f->scale()}, {"reason", "tried"}});
        b.session.movements = with_own(b.session.shipped, {{"gaze_at_the_moon", j.dump()}});
        b.session.workspace->rules_changed();
        const auto now = page->state().open; // already, without any waiting
        QVERIFY(now != before);
        QCOMPARE(&now->review->summaries == &before->review->summaries, false);
        const auto& judged = now->review->findings;
        QVERIFY(std::any_of(judged.begin(), judged.end(),
                            [&](const Finding& x) { return x.check == f->check && x.verdict == Verdict::outside; }));
        QVERIFY(std::abs(page->state().time() - 7) < 0.1);
        QVERIFY(page->shows_current()); // the pictures stay
        // A phase that takes longer is looked at anew, in the background.
        j["phases"][0]["duration_s"] = 9.0;
        b.session.movements = with_own(b.session.shipped, {{"gaze_at_the_moon", j.dump()}});
        b.session.workspace->rules_changed();
        QCOMPARE(page->state().open, now);
        QTRY_VERIFY_WITH_TIMEOUT(page->state().open != now, 30000);
        QVERIFY(page->state().open->review->movement.phases[0].duration_s == 9.0);
    }

    void holds_and_a_breath_trace_of_a_clip() {
        Bench b(copy_.demo);
        auto* page = open(b, clip_of(b, "separate_the_clouds", "Wen"));
        QTest::keyClick(page, Qt::Key_H);
        auto* dialog = page->findChild<ui::HoldsDialog*>();
        QVERIFY(dialog && dialog->isVisible());
        const auto holds = find_holds(page->state().open->review->motion, page->state().open->review->measures);
        auto* table = dialog->findChild<QTableView*>(QStringLiteral("holds"));
        QCOMPARE(rows(table), static_cast<int>(holds.size()));
        if (!holds.empty()) {
            table->selectRow(0);
            QVERIFY(std::abs(page->state().time() - holds[0].from_s) < 0.1);
        }
        dialog->close();
        const QString file = copy_.dir.filePath(QStringLiteral("breath.csv"));
        QFile f(file);
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write("time,breath\n1 in\n4 out\n8.5 in\n12 out\n");
        f.close();
        page->read_breaths(file);
        QTRY_COMPARE_WITH_TIMEOUT(page->state().open->track.layers.breaths.size(), std::size_t{4}, 30000);
        page->undo().undo();
        QTRY_COMPARE_WITH_TIMEOUT(page->state().open->track.layers.breaths.size(), std::size_t{0}, 30000);
        QVERIFY(f.open(QIODevice::WriteOnly | QIODevice::Truncate));
        f.write("time,breath\n1 in\nfour out\n");
        f.close();
        page->read_breaths(file);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("line 3")), 20000);
    }

    void what_cannot_be_learned_is_said_with_the_way_out() {
        Bench b(copy_.demo);
        const qint64 clip = clip_of(b, "part_the_horses_mane", "Tomas");
        b.window->show_place(b.window->place(QStringLiteral("forms")));
        b.window->forms()->learn_from(clip);
        auto* dialog = b.window->forms()->findChild<ui::LearnDialog*>();
        QTRY_VERIFY_WITH_TIMEOUT(!dialog->busy() && !dialog->layout_of().phases.empty(), 40000);
        // Ends in the stance: not where it began.
        dialog->strip().set_at(dialog->layout_of().phases[4].end_s);
        dialog->findChild<QPushButton*>(QStringLiteral("endHere"))->click();
        QCOMPARE(dialog->layout_of().phases.size(), std::size_t{5});
        dialog->findChild<QPushButton*>(QStringLiteral("learnNow"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(!dialog->busy(), 60000);
        QVERIFY(test::says(*dialog, QStringLiteral("must end as it began")));
        QVERIFY(!dialog->findChild<QPushButton*>(QStringLiteral("primary"))->isEnabled());
        dialog->reject();
        QVERIFY(b.session.library->forms().all()->empty());
    }

    void a_clip_named_wrongly_is_held_back_until_somebody_says_so() {
        Bench b(copy_.demo);
        const qint64 clip = clip_of(b, "gaze_at_the_moon", "Ilse");
        // It is what it is named.
        auto* page = open(b, clip);
        QVERIFY(QTest::qWaitFor([&] { return !b.session.library->clips().get(clip)->which.empty(); }, 20000));
        QVERIFY(page->state().open->elsewhere.empty() && !page->findChild<QWidget*>("asNamed"));
        const auto before = page->state().open->review->findings.size();
        // Somebody chose the wrong movement.
        Clip c = *b.session.library->clips().get(clip);
        c.movement = "side_shift";
        c.version.reset();
        QVERIFY(b.session.library->clips().set_facts(c).has_value());
        QVERIFY(b.session.library->clips().get(clip)->which.empty()); // asked anew
        open(b, clip);
        const auto until = [&](auto holds) { return QTest::qWaitFor(holds, 20000); };
        QVERIFY(until([&] { return page->state().open->clip.movement == "side_shift" && !page->state().open->elsewhere.empty(); }));
        QCOMPARE(QString::fromStdString(page->state().open->elsewhere.front().movement), QStringLiteral("gaze_at_the_moon"));
        QCOMPARE(QString::fromStdString(page->state().open->review->held_back), QStringLiteral("gaze_at_the_moon"));
        QVERIFY(page->state().open->review->findings.empty());
        QVERIFY(test::says(*page, "This looks like Gaze at the Moon"));
        QVERIFY(test::says(*page, "Nothing is judged."));
        QVERIFY(figures_of(*page->state().open->review).empty()); // nothing for the record
        ui::LetterOrder order;                                    // and no letter
        order.open = page->state().open;
        const auto letter = ui::compose(order, *b.session.library, b.session.catalogue);
        QVERIFY(!letter && letter.error().context == "held_back");
        // One key: it is what it is named.
        QTest::keyClick(b.window.get(), Qt::Key_Y);
        QVERIFY(until([&] { return page->state().open->review->held_back.empty() && !page->state().open->review->findings.empty(); }));
        QCOMPARE(QString::fromStdString(b.session.library->clips().get(clip)->as_named), QStringLiteral("side_shift"));
        QVERIFY(!test::says(*page, "This looks like"));
        // It can be taken back, and the other taken instead.
        QTest::keyClick(b.window.get(), Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(until([&] { return !page->state().open->review->held_back.empty(); }));
        QPushButton* other = nullptr;
        QVERIFY(until([&] { return (other = page->findChild<QPushButton*>("asOther")) && other->isVisible(); }));
        other->click();
        QVERIFY(until(
            [&] { return page->state().open->clip.movement == "gaze_at_the_moon" && page->state().open->review->held_back.empty(); }));
        QCOMPARE(page->state().open->review->findings.size(), before);
        QCOMPARE(QString::fromStdString(b.session.library->clips().get(clip)->as_named),
                 QStringLiteral("gaze_at_the_moon")); // a person's word
        // Taken back it asks again.
        QTest::keyClick(b.window.get(), Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(until([&] { return page->state().open->clip.movement == "side_shift" && !page->state().open->review->held_back.empty(); }));
    }
    void no_clip_of_the_demo_is_taken_for_another() {
        test::Copy fresh;
        QVERIFY(fresh.make());
        Bench b(fresh.demo);
        const std::vector<Clip> clips = b.session.library->clips().all().value();
        int asked = 0, looked_at = 0;
        for (const auto& c : clips) {
            const auto shown = load_review(*b.session.library, b.session.forms(), c.id, "en");
            if (!shown) continue;
            ++looked_at;
            for (const auto& e : elsewhere(*(*shown)->review, *b.session.movements.now())) {
                QVERIFY2(e.near, (c.file + " " + e.movement).c_str());
                qInfo("%s: %s %.1f", c.file.c_str(), e.movement.c_str(), e.odds);
                ++asked;
            }
        }
        QVERIFY2(looked_at > 8 && asked <= 1, qPrintable(QString("%1 of %2").arg(asked).arg(looked_at)));
    }
};
QTEST_MAIN(TestOwn)
#include "test_own.moc"
