// Drives the real window: a clip is dropped, found, reviewed and ends as a PDF; what is decided and agreed; clips changed, lost, deleted.
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/review/review_page.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDialog>
#include <QDir>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMessageBox>
#include <QMimeData>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTest>
#include <QTimer>
#include <QToolButton>
#include <set>

using namespace bevel;
using test::Bench;

/// By value: what a library gives lives no longer than the statement it is asked in.
static std::vector<Clip> clips_of(const Bench& b) {
    return b.session.library->clips().all().value();
}
static std::vector<Person> people_of(const Bench& b) {
    return b.session.library->people().all().value();
}

class TestWindow : public QObject {
    Q_OBJECT
    test::Copy copy_;

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }
    void from_a_dropped_clip_to_a_pdf() {
        Bench b(copy_.folder);
        auto* page = b.window->arrivals();
        QMimeData mime;
        mime.setUrls({QUrl::fromLocalFile(QString::fromStdString(copy_.clip.string()))});
        QDragEnterEvent enter(QPoint(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &enter);
        QVERIFY(enter.isAccepted());
        QDropEvent drop(QPointF(50, 50), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(page, &drop);
        // Nobody is asked before the body was found; what the clip tells then stands there.
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), 1, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(cell(table, 0, 4) == QLatin1String("whose is it?"), 120000);
        auto* student = page->findChild<QComboBox*>(QStringLiteral("student"));
        auto* movement = page->findChild<QComboBox*>(QStringLiteral("movement"));
        auto* take = page->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_COMPARE_WITH_TIMEOUT(movement->currentData().toString(), QStringLiteral("part_the_horses_mane"), 30000); // guessed
        QVERIFY(movement->currentText().contains(QLatin1String("% likely")));
        QVERIFY(student->currentText().isEmpty() && !take->isEnabled()); // nobody is known: that is not guessed
        student->setCurrentText(QStringLiteral("Noor Haddad"));
        page->findChild<QDoubleSpinBox*>(QStringLiteral("height"))->setValue(170);
        QVERIFY(take->isEnabled());
        table->setFocus();
        QTest::keyClick(table, Qt::Key_Return); // one key
        auto* open = page->findChild<QPushButton*>(QStringLiteral("openReview"));
        QTRY_VERIFY_WITH_TIMEOUT(cell(table, 0, 4) == QLatin1String("to be reviewed"), 120000);
        table->selectRow(0);
        QTRY_VERIFY_WITH_TIMEOUT(open->isEnabled(), 30000);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        QTest::mouseClick(open, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* review = b.window->review();
        QCOMPARE(review->state().open->review->alignment.repetitions.size(), std::size_t{2});
        QCOMPARE(review->state().open->review->motion.view, View::left); // told from the clip
        // Keep the finding that leads the list, by its button.
        auto* keep = review->findChild<QToolButton*>(QStringLiteral("keep"));
        QVERIFY2(keep, "the head forward gives a finding");
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
        const QString file = copy_.dir.filePath(QStringLiteral("letter.pdf"));
        letter->export_to(file);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 20000);
        QVERIFY(QFileInfo(file).size() > 20000);
        QFile f(file);
        QVERIFY(f.open(QIODevice::ReadOnly));
        QVERIFY(f.read(5).startsWith("%PDF-"));
    }
    void what_was_decided_is_there_after_a_restart() {
        auto lib = Library::open(copy_.folder);
        QVERIFY(lib.has_value());
        const auto clips = *lib->clips().all();
        QCOMPARE(clips.size(), std::size_t{1});
        QCOMPARE(clips[0].state, ClipState::reviewed);
        QCOMPARE((*lib->decisions().of(clips[0].id))[0].choice, Choice::kept);
        QVERIFY(!lib->letters().of(clips[0].id)->empty());
    }
    void why_tells_what_a_finding_rests_on() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* why = b.window->review()->findChild<QToolButton*>(QStringLiteral("why"));
        QVERIFY(why && !why->accessibleName().isEmpty());
        QTest::mouseClick(why, Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog")), 30000);
        auto* dialog = b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog"));
        QString words;
        for (const auto* l : dialog->findChildren<QLabel*>(QStringLiteral("whyText"))) words += l->text() + QLatin1Char('\n');
        QVERIFY(dialog->findChild<QWidget*>(QStringLiteral("whyBand")));
        for (const char* part : {"Rule ", "Band in force: ", "set by the ", "error of the moments", "Repetition by repetition: "})
            QVERIFY2(words.contains(QLatin1String(part)), qPrintable(words));
        dialog->close();
        QTRY_VERIFY_WITH_TIMEOUT(!b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog")), 30000);
    }
    void the_review_answers_to_the_keyboard() {
        Bench b(copy_.demo);
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
        QTest::keyClick(page, Qt::Key_Z);
        QVERIFY(state.one_repetition);
        QTest::keyClick(page, Qt::Key_T);
        QVERIFY(state.by_movement);
        QTest::keyClick(page, Qt::Key_End);
        QCOMPARE(state.frame, state.frames() - 1);
        // Playing moves on by itself and stops where the clip does.
        QTest::keyClick(page, Qt::Key_Home);
        QTest::keyClick(page, Qt::Key_Space);
        QTRY_VERIFY_WITH_TIMEOUT(state.frame > 3, 30000);
        QTest::keyClick(page, Qt::Key_Space);
        const auto at = state.frame;
        QTest::qWait(80);
        QCOMPARE(state.frame, at);
    }
    void the_breath_is_tapped_along_and_judged() {
        // A clip of a movement whose breath is asked: points of one who breathes half a second behind the movement.
        Bench b(copy_.demo);
        auto o = sim::take_of(7, 1.70);
        o.student.score.repetitions = 2;
        const sim::Take take(test::movement("opening_rise_and_sink"), o);
        Track track = take.track();
        for (auto& m : track.m) m.reset();
        Clip clip = *b.session.library->clips().get(1);
        clip.movement = "opening_rise_and_sink";
        clip.view = "front";
        const auto id = b.session.library->clips().add(clip, b.session.library->clips().path_of(*b.session.library->clips().get(1)));
        QVERIFY(id.has_value());
        QVERIFY(b.session.library->tracks().save(*id, track).has_value());
        QVERIFY(b.session.library->clips().set_state(*id, ClipState::tracked, "").has_value());
        auto* page = b.window->review();
        QSignalSpy opened(page, &ui::ReviewPage::opened);
        b.window->open_review(*id);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto breath = [&] {
            std::vector<Finding> out;
            for (const auto& f : page->state().open->review->findings)
                if (f.rule == "B2") out.push_back(f);
            return out;
        };
        auto told = [](const std::vector<Finding>& all) {
            return std::any_of(all.begin(), all.end(), [](const Finding& f) { return f.verdict != Verdict::cannot_tell; });
        };
        QVERIFY(!breath().empty() && !told(breath())); // it cannot be seen
        // In at the beginning of each rise, out at that of each fall, each a second late: stepped to and tapped.
        std::vector<BreathMark> meant;
        for (const auto& p : take.truth().phases) {
            const auto& phases = take.student().score().movement().phases;
            for (const auto& ph : phases)
                if (ph.id == p.id && ph.breath != Breath::free && (meant.empty() || meant.back().in != (ph.breath == Breath::in)))
                    meant.push_back({p.start_s + 1.0, ph.breath == Breath::in});
        }
        QVERIFY(meant.size() >= 6);
        if (!meant.front().in) meant.erase(meant.begin());
        std::size_t kept = 0;
        for (const auto& m : meant) {
            page->state().set_time(m.time_s);
            const auto before = opened.count();
            QTest::keyClick(page, Qt::Key_B);
            QTRY_VERIFY_WITH_TIMEOUT(opened.count() > before, 30000); // measured anew
            ++kept;
            QCOMPARE(page->state().open->track.layers.breaths.size(), kept);
        }
        for (std::size_t i = 0; i < meant.size(); ++i) QCOMPARE(page->state().open->track.layers.breaths[i].in, meant[i].in);
        QVERIFY(told(breath()));
        // Late means: the movement began before the breath.
        const auto late = breath();
        QVERIFY(std::any_of(late.begin(), late.end(), [](const Finding& f) {
            return f.verdict == Verdict::outside && f.direction == Direction::high && f.value > 0.6 &&
                   f.cue == "Let the breath begin with the movement, not after it.";
        }));
        QCOMPARE(b.session.library->tracks().load(*id)->layers.breaths.size(), kept);
        // The last tap is undone, though it was measured anew meanwhile.
        const auto before = opened.count();
        page->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(opened.count() > before, 30000);
        QCOMPARE(page->state().open->track.layers.breaths.size(), kept - 1);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        QVERIFY(b.session.library->clips().remove(*id).has_value());
    }
    void decisions_are_undone_and_done_again() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(5);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        QSignalSpy decided(page, &ui::ReviewPage::decided);
        auto choice = [&] {
            const auto d = b.session.library->decisions().of(5); // the background rests: it has just said so
            return d && !d->empty() ? d->front().choice : Choice::open;
        };
        page->findChild<QToolButton*>(QStringLiteral("keep"))->click();
        QTRY_COMPARE_WITH_TIMEOUT(decided.count(), 1, 30000);
        QCOMPARE(choice(), Choice::kept);
        QTest::keyClick(page, Qt::Key_Z, Qt::ControlModifier);
        QTRY_COMPARE_WITH_TIMEOUT(decided.count(), 2, 30000);
        QCOMPARE(choice(), Choice::open);
        QTest::keyClick(page, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QTRY_COMPARE_WITH_TIMEOUT(decided.count(), 3, 30000);
        QCOMPARE(choice(), Choice::kept);
    }
    void what_is_agreed_turns_a_fault_into_a_note_and_back() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        auto faults = [&] {
            std::set<std::string> out;
            for (const auto& f : page->state().open->review->findings)
                if (f.verdict == Verdict::outside) out.insert(f.check);
            return out;
        };
        const auto before = faults();
        QVERIFY(!before.empty());
        // The first card's own button; what it proposes takes in what was measured.
        const auto first = std::find_if(page->state().open->review->findings.begin(), page->state().open->review->findings.end(),
                                        [](const Finding& f) { return f.verdict == Verdict::outside; });
        const std::string check = first->check;
        QTest::mouseClick(page->findChild<QToolButton*>(QStringLiteral("why")), Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(page->findChild<QDialog*>(QStringLiteral("whyDialog")), 30000);
        QTest::mouseClick(page->findChild<QDialog*>(QStringLiteral("whyDialog"))->findChild<QPushButton*>(QStringLiteral("agree")),
                          Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(page->findChild<QDialog*>(QStringLiteral("agreementDialog")), 30000);
        auto* dialog = page->findChild<QDialog*>(QStringLiteral("agreementDialog"));
        auto* ok = dialog->findChild<QPushButton*>(QStringLiteral("agreeOk"));
        QVERIFY(!ok->isEnabled()); // not without a reason
        dialog->findChild<QLineEdit*>(QStringLiteral("agreeReason"))->setText(QStringLiteral("A stiff neck."));
        QVERIFY(ok->isEnabled());
        QTest::mouseClick(ok, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 2, 30000);
        QVERIFY(!faults().contains(check));
        const auto& agreed = page->state().open->agreements;
        QVERIFY(std::any_of(agreed.begin(), agreed.end(), [](const Agreement& a) { return a.reason == "A stiff neck."; }));
        bool note = false;
        for (const auto& f : page->state().open->review->findings)
            if (f.check == check) note = note || (f.allowed && f.whose == BandLevel::student && f.reason == "A stiff neck.");
        QVERIFY(note);
        QVERIFY(test::says(*page, QStringLiteral("A stiff neck.")));
        // In force from the day of the clip on: not for what was filmed before it.
        Clip earlier = page->state().open->clip;
        earlier.filmed_on = "2001-01-01";
        QVERIFY(b.session.library->decisions().agreements_for(earlier)->empty());
        // Taken back, the fault stands again.
        QTest::mouseClick(page->findChild<QToolButton*>(QStringLiteral("changeAgreement")), Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(page->findChild<QDialog*>(QStringLiteral("agreementDialog")), 30000);
        QTest::mouseClick(page->findChild<QDialog*>(QStringLiteral("agreementDialog"))->findChild<QPushButton*>(QStringLiteral("agreeEnd")),
                          Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 3, 30000);
        QCOMPARE(faults(), before);
        QCOMPARE(b.session.library->decisions().agreements(page->state().open->person.id)->size(), std::size_t{1}); // the demo's own limit
    }
    void a_clip_that_is_there_already_is_noticed() {
        Bench b(copy_.demo);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        // One that came in when hashes were kept.
        auto id = b.session.library->clips().add(*b.session.library->clips().get(1), copy_.clip);
        QVERIFY(id.has_value());
        QVERIFY(b.session.library->clips().set_state(*id, ClipState::failed, "cancelled").has_value());
        b.session.finding->rest(true); // nothing is looked for in this test
        b.window->take({QString::fromStdString(copy_.clip.string())});
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("1 clip there already.")), 20000);
        QCOMPARE(b.session.library->clips().all()->size(), static_cast<std::size_t>(test::demo_clips + 1));
        // It is taken in once more where that is meant.
        QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("wayOut")), Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->clips().all()->size(), static_cast<std::size_t>(test::demo_clips + 2), 20000);
        for (const auto& c : clips_of(b))
            if (c.person == 0 || c.id == *id) QVERIFY(b.session.library->clips().remove(c.id).has_value());
        QCOMPARE(b.session.library->clips().all()->size(), static_cast<std::size_t>(test::demo_clips));
    }
    void the_picture_of_another_clip_is_never_shown() {
        Bench b(copy_.demo);
        auto* page = b.window->review();
        auto* student = page->findChildren<ui::PictureView*>().front();
        auto dark = [&] { // share of the view that is darker than paper: what a picture is made of
            const QImage im = student->grab().toImage().convertToFormat(QImage::Format_Grayscale8);
            int count = 0, all = 0;
            for (int y = 40; y < im.height() - 4; y += 3)
                for (int x = 4; x < im.width() - 4; x += 3) {
                    ++all;
                    count += im.constScanLine(y)[x] < 200 ? 1 : 0;
                }
            return static_cast<double>(count) / std::max(1, all);
        };
        QSignalSpy opened(page, &ui::ReviewPage::opened);
        // At the very moment at which another clip is opened its own picture is not there yet, and nobody else's is.
        double at_opening = 1;
        bool was_current = true;
        QString name;
        connect(page, &ui::ReviewPage::opened, this, [&] {
            at_opening = dark();
            was_current = page->shows_current();
            name = page->findChild<QLabel*>(QStringLiteral("title"))->text();
        });
        for (const auto& [clip, who] : {std::pair{3, "Wen"}, {4, "Paulo"}, {1, "Ilse"}}) {
            const int before = static_cast<int>(opened.count());
            b.window->open_review(clip);
            QTRY_COMPARE_WITH_TIMEOUT(opened.count(), before + 1, 30000);
            QVERIFY(name.startsWith(QLatin1String(who)));
            QVERIFY(!was_current);
            QVERIFY2(at_opening < 0.05, qPrintable(QString::number(at_opening)));
            QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
            QCOMPARE(page->state().open->clip.id, qint64{clip});
            QVERIFY(dark() > 0.1);
            // Lines and figures are of the picture's frame.
            QCOMPARE(page->state().shown(), page->state().frame);
            page->state().set_frame(static_cast<std::ptrdiff_t>(page->state().frame) + 40);
            QCOMPARE(page->state().shown() == page->state().frame, page->shows_current());
            QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
        }
    }
    void a_mirrored_clip_is_kept_as_such_and_judged_anew() {
        Bench b(copy_.demo);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        for (const bool on : {true, false}) {
            for (int i = rows(table) - 1; i >= 0; --i) // the newest
                if (cell(table, i, 0) == QLatin1String("Wen Adeyemi") && cell(table, i, 1).contains(QLatin1String("Clouds")))
                    table->selectRow(i);
            auto* change = page->findChild<QPushButton*>(QStringLiteral("change"));
            QTRY_VERIFY_WITH_TIMEOUT(change->isEnabled(), 30000);
            QTest::mouseClick(change, Qt::LeftButton);
            auto* box = page->findChild<QCheckBox*>(QStringLiteral("mirrored"));
            QTRY_COMPARE_WITH_TIMEOUT(box->isChecked(), !on, 30000);
            box->click();
            // While the clip is being judged it cannot be saved again; the button comes back with the clip as it now is.
            auto* save = page->findChild<QPushButton*>(QStringLiteral("primary"));
            QTRY_VERIFY_WITH_TIMEOUT(save->isEnabled(), 20000);
            QTest::mouseClick(save, Qt::LeftButton);
            QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(3)->mirrored == on, 20000); // the clip as it is re-read
            QTRY_VERIFY_WITH_TIMEOUT(save->isEnabled(), 20000);
        }
    }
    void a_batch_is_confirmed_by_a_key_each() {
        const auto folder = std::filesystem::path(copy_.dir.filePath(QStringLiteral("evening")).toStdString());
        const QString inbox = copy_.dir.filePath(QStringLiteral("phones"));
        std::filesystem::copy(copy_.demo, folder, std::filesystem::copy_options::recursive);
        QVERIFY(QDir().mkpath(inbox));
        // Parts of clips of two students who are known, as new files.
        for (const auto& [from, to] : {std::pair{"ilse-moon-front.mp4", "Ilse tonight.mp4"}, {"tomas-mane-left.mp4", "tomas_2026.mp4"}}) {
            QProcess p;
            p.start(QStringLiteral("ffmpeg"), {"-v", "error", "-y", "-i", QString::fromStdString((copy_.demo / "clips" / from).string()),
                                               "-t", "17", "-c", "copy", inbox + QLatin1Char('/') + QLatin1String(to)});
            QVERIFY(p.waitForFinished(30000) && p.exitCode() == 0);
        }
        Bench b(folder);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        // A folder that is watched: what lies in it comes in by itself.
        ui::Settings s = b.session.settings;
        s.inbox = inbox;
        s.model = ui::BodyModel::lite;
        b.window->apply(s);
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips + 2, 30000);
        auto asked = [&] {
            int n = 0;
            for (const auto& c : clips_of(b)) n += c.state == ClipState::asked ? 1 : 0;
            return n;
        };
        // What the list shows; the library may be ahead of it by a reload.
        auto shown_asked = [&] {
            int n = 0;
            for (int row = 0; row < rows(table); ++row)
                for (int column = 0; column < table->model()->columnCount(); ++column)
                    n += cell(table, row, column) == QStringLiteral("whose is it?") ? 1 : 0;
            return n;
        };
        QTRY_COMPARE_WITH_TIMEOUT(asked(), 2, 180000);
        QTRY_COMPARE_WITH_TIMEOUT(shown_asked(), 2, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        table->setFocus();
        QTest::keyClick(table, Qt::Key_F3);
        int keys = 1;
        for (; asked() > 0 && keys < 6; ++keys) {
            auto* student = page->findChild<QComboBox*>(QStringLiteral("student"));
            QVERIFY2(!student->currentText().isEmpty(), "the file's name says whose it is");
            const int before = asked();
            table->setFocus();
            QTest::keyClick(table, Qt::Key_Return);
            QTRY_COMPARE_WITH_TIMEOUT(asked(), before - 1, 120000);
            QTRY_COMPARE_WITH_TIMEOUT(shown_asked(), before - 1, 20000);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        }
        QCOMPARE(keys, 3); // to the first, and one for each
        int ilse = 0, tomas = 0;
        const auto people = *b.session.library->people().all();
        for (const auto& c : clips_of(b)) {
            if (c.named.empty() || c.arrived_on != QDate::currentDate().toString(Qt::ISODate).toStdString()) continue;
            const auto p = std::find_if(people.begin(), people.end(), [&](const Person& x) { return x.id == c.person; });
            QVERIFY(p != people.end());
            QCOMPARE(c.state, ClipState::tracked);
            ilse += p->name == "Ilse Brandvik" && c.movement == "gaze_at_the_moon" ? 1 : 0;
            tomas += p->name.starts_with("Tomas") && c.movement == "part_the_horses_mane" ? 1 : 0;
        }
        QCOMPARE(ilse, 1);
        QCOMPARE(tomas, 1);
        // The same folder again brings nothing twice.
        b.window->take({inbox});
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("2 clips there already.")), 20000);
    }
    void the_queue_is_ordered_and_rests() {
        Bench b(copy_.demo);
        b.session.finding->rest(true);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        const std::vector<std::int64_t> ids{1, 3, 4};
        for (const auto id : ids) QVERIFY(b.session.library->clips().set_state(id, ClipState::waiting, "").has_value());
        page->refresh();
        auto turns = [&] {
            std::vector<std::pair<std::int64_t, std::int64_t>> order;
            for (const auto& c : clips_of(b))
                if (c.state == ClipState::waiting) order.emplace_back(c.turn, c.id);
            std::sort(order.begin(), order.end());
            std::vector<std::int64_t> out;
            for (const auto& [turn, id] : order) out.push_back(id);
            return out;
        };
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        QTest::qWait(50);
        QCOMPARE(turns(), ids);
        for (int i = 0; i < rows(table); ++i)
            if (cell(table, i, 0) == QString::fromStdString([&] {
                    for (const auto& p : people_of(b))
                        if (p.id == b.session.library->clips().get(4)->person) return p.name;
                    return std::string();
                }()) &&
                cell(table, i, 4) == QLatin1String("waiting for its turn"))
                table->selectRow(i);
        table->setFocus();
        QTest::keyClick(table, Qt::Key_Up, Qt::AltModifier);
        QTRY_COMPARE_WITH_TIMEOUT(turns(), (std::vector<std::int64_t>{1, 4, 3}), 30000);
        QCOMPARE(b.session.finding->running(), 0); // it rests
        for (const auto id : ids) QVERIFY(b.session.library->clips().set_state(id, ClipState::tracked, "").has_value());
    }
    void a_clip_can_be_given_another_movement_and_back() {
        Bench b(copy_.demo);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        int row = -1;
        for (int i = 0; i < rows(table); ++i)
            if (cell(table, i, 0) == QLatin1String("Greta Olmstead")) row = i;
        QVERIFY(row >= 0);
        for (const char* id : {"part_the_horses_mane", "separate_the_clouds"}) {
            table->selectRow(row);
            auto* change = page->findChild<QPushButton*>(QStringLiteral("change"));
            QTRY_VERIFY_WITH_TIMEOUT(change->isEnabled(), 30000);
            QTest::mouseClick(change, Qt::LeftButton);
            auto* movement = page->findChild<QComboBox*>(QStringLiteral("movement"));
            movement->setCurrentIndex(movement->findData(QLatin1String(id)));
            emit movement->activated(movement->currentIndex()); // as a choice with the mouse does
            QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
            const bool right = qstrcmp(id, "separate_the_clouds") == 0;
            QTRY_COMPARE_WITH_TIMEOUT(cell(table, row, 4), right ? QStringLiteral("to be reviewed") : QStringLiteral("cannot be judged"),
                                      20000);
            auto* detail = page->findChild<QLabel*>(QStringLiteral("detail"));
            QTRY_VERIFY_WITH_TIMEOUT(detail->text().contains(right ? QLatin1String("Body found on 100 %")
                                                                   : QLatin1String("Nothing in the clip looks like this movement")),
                                     30000);
        }
    }
    void a_lost_file_is_said_and_given_back() {
        Bench b(copy_.demo);
        const Clip clip = *b.session.library->clips().get(5);
        const auto file = b.session.library->clips().path_of(clip),
                   away = std::filesystem::path(copy_.dir.filePath(QStringLiteral("away.mp4")).toStdString());
        std::filesystem::rename(file, away);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(5);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        QVERIFY(!page->state().open->has_file);
        auto said = [&] {
            for (const auto* l : page->findChildren<QLabel*>())
                if (l->text().contains(QLatin1String("not where it was"))) return true;
            return false;
        };
        QVERIFY(said());
        QVERIFY(!page->state().open->review->findings.empty()); // what was measured is there all the same
        page->give_file(QString::fromStdString(away.string()));
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 2, 30000);
        QVERIFY(page->state().open->has_file);
        QTRY_VERIFY_WITH_TIMEOUT(page->shows_current(), 20000);
    }
    void a_clip_is_deleted_and_a_student_erased_only_when_it_is_meant() {
        const auto folder = std::filesystem::path(copy_.dir.filePath(QStringLiteral("upkeep")).toStdString());
        std::filesystem::copy(copy_.demo, folder, std::filesystem::copy_options::recursive);
        Bench b(folder);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableView*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips, 20000);
        auto choose = [&](const char* name) {
            for (int i = 0; i < rows(table); ++i)
                if (cell(table, i, 0) == QLatin1String(name)) table->selectRow(i);
        };
        // Answers the question that comes, by the button with this role.
        auto answer = [&](QMessageBox::ButtonRole role) {
            QTimer::singleShot(0, this, [role] {
                auto* box = qobject_cast<QMessageBox*>(QApplication::activeModalWidget());
                if (!box) return;
                for (auto* button : box->buttons())
                    if (box->buttonRole(button) == role) return button->click();
            });
        };
        choose("Greta Olmstead");
        answer(QMessageBox::RejectRole);
        b.window->actions_table().find("deleteClip")->trigger();
        QCOMPARE(b.session.library->clips().all()->size(), static_cast<std::size_t>(test::demo_clips)); // not meant
        answer(QMessageBox::DestructiveRole);
        b.window->actions_table().find("deleteClip")->trigger();
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips - 1, 20000);
        QCOMPARE(b.session.library->clips().all()->size(), static_cast<std::size_t>(test::demo_clips - 1));
        choose("Tomas Erikse");
        answer(QMessageBox::DestructiveRole);
        b.window->actions_table().find("erasePerson")->trigger();
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), test::demo_clips - 3, 20000);
        const auto people = *b.session.library->people().all();
        for (const auto& p : people) QVERIFY(p.name != "Tomas Erikse");
        bool said = false;
        for (const auto* l : page->findChildren<QLabel*>())
            said = said || l->text().startsWith(QStringLiteral("Tomas Erikse is erased: 2 clips"));
        QVERIFY(said);
    }
    void a_clip_that_cannot_be_read_says_so_and_nothing_is_kept() {
        const auto folder = copy_.dir.filePath(QStringLiteral("other")).toStdString();
        const QString wrong = copy_.dir.filePath(QStringLiteral("wrong.mp4"));
        QFile f(wrong);
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write("not a clip");
        f.close();
        Bench b(folder);
        auto* page = b.window->arrivals();
        b.window->take({wrong});
        QTRY_VERIFY_WITH_TIMEOUT(
            [&] {
                for (const auto* l : page->findChildren<QLabel*>())
                    if (l->text().contains(QLatin1String("cannot be read"))) return true;
                return false;
            }(),
            10000);
        QCOMPARE(rows(page->findChild<QTableView*>(QStringLiteral("clips"))), 0);
    }
};
QTEST_MAIN(TestWindow)
#include "test_window.moc"
