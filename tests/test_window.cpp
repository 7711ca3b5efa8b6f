// Drives the real window: a clip is dropped, found, reviewed and ends as a PDF.
#include "media/clip.h"
#include "support/synthetic.h"
#include "ui/letter/sent_dialog.h"
#include "ui/shell/elided_label.h"
#include "ui/shell/main_window.h"
#include <atomic>
#include <QAccessible>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMessageBox>
#include <QMimeData>
#include <QProcess>
#include <QPushButton>
#include <QScrollArea>
#include <QSettings>
#include <QSignalSpy>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <QToolButton>
#include <set>
#include <thread>

#include <sqlite3.h>

using namespace bevel;

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

class TestWindow : public QObject {
    Q_OBJECT
    struct Bench {
        ui::Session session;
        ui::Background background, copies, finder;
        std::unique_ptr<ui::MainWindow> window;
        explicit Bench(const std::filesystem::path& folder) {
            session.catalogue = *ui::Catalogue::load(test::data_dir());
            session.library = std::make_shared<Library>(*Library::open(folder));
            session.movements = load_movements(test::data_dir());
            session.schools = load_schools(test::data_dir());
            session.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
            session.background = &background;
            session.copies = &copies;
            session.finder = &finder;
            window = std::make_unique<ui::MainWindow>(session);
            window->show();
            window->activateWindow(); // where no window manager does it
            (void)QTest::qWaitForWindowActive(window.get());
        }
        ~Bench() { window.reset(); }
    };
    /// Visible widgets whose text has less room than it needs.
    static QStringList clipped(const QWidget& window, const QString& where) {
        QStringList out;
        for (auto* w : window.findChildren<QWidget*>()) {
            if (!w->isVisible()) continue;
            QString text;
            bool fits = true;
            if (const auto* button = qobject_cast<QAbstractButton*>(w)) {
                text = button->text();
                fits = button->width() + 1 >= button->sizeHint().width();
            } else if (const auto* label = qobject_cast<QLabel*>(w);
                       label && !label->text().isEmpty() && !dynamic_cast<const ui::ElidedLabel*>(label)) {
                text = label->text();
                fits = label->wordWrap() ? label->heightForWidth(label->width()) <= label->height() + 1
                                         : label->sizeHint().width() <= label->width() + 1;
            } else if (const auto* box = qobject_cast<QComboBox*>(w); box && !box->isEditable()) {
                text = box->currentText();
                fits = box->fontMetrics().horizontalAdvance(text) + 34 <= box->width();
            }
            // Nor does anything stand beyond the edge of a list that cannot be scrolled sideways.
            for (auto* up = w->parentWidget(); up && fits; up = up->parentWidget())
                if (const auto* area = qobject_cast<QScrollArea*>(up);
                    area && area->viewport()->isAncestorOf(w) && area->horizontalScrollBarPolicy() == Qt::ScrollBarAlwaysOff)
                    fits = w->mapTo(area->viewport(), QPoint(w->width(), 0)).x() <= area->viewport()->width() + 1;
            if (!text.isEmpty() && !fits) out << where + QStringLiteral(": ") + text;
        }
        return out;
    }
    QTemporaryDir dir_;
    std::filesystem::path folder_, demo_;
    std::filesystem::path clip_;

private slots:
    void initTestCase() {
        ui::Theme::load_fonts(test::data_dir());
        folder_ = dir_.filePath(QStringLiteral("library")).toStdString();
        demo_ = dir_.filePath(QStringLiteral("demo")).toStdString();
        std::filesystem::copy(test::data_dir() / "demo", demo_, std::filesystem::copy_options::recursive);
        // The clip that waits in the demo is the one that is dropped; in the copy it has been dealt with.
        clip_ = demo_ / "clips/noor-mane-left.mp4";
        auto lib = Library::open(demo_);
        QVERIFY(lib.has_value());
        const auto clips = *lib->clips();
        for (const auto& c : clips)
            if (c.state == ClipState::waiting) {
                QVERIFY(lib->set_clip_state(c.id, ClipState::failed, "cancelled").has_value());
            }
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
        page->findChild<QDoubleSpinBox*>(QStringLiteral("height"))->setValue(170);
        auto* movement = page->findChild<QComboBox*>(QStringLiteral("movement"));
        movement->setCurrentIndex(movement->findData(QStringLiteral("part_the_horses_mane")));
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
    void why_tells_what_a_finding_rests_on() {
        Bench b(demo_);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* why = b.window->review()->findChild<QToolButton*>(QStringLiteral("why"));
        QVERIFY(why && !why->accessibleName().isEmpty());
        QTest::mouseClick(why, Qt::LeftButton);
        QTRY_VERIFY(b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog")));
        auto* dialog = b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog"));
        const QString words = dialog->findChild<QLabel*>(QStringLiteral("whyText"))->text();
        for (const char* part : {"Rule ", "Band in force: ", "set by the ", "error of the moments", "Repetition by repetition: "})
            QVERIFY2(words.contains(QLatin1String(part)), qPrintable(words));
        dialog->close();
        QTRY_VERIFY(!b.window->review()->findChild<QDialog*>(QStringLiteral("whyDialog")));
    }
    void the_review_answers_to_the_keyboard() {
        Bench b(demo_);
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
        QTRY_VERIFY(state.frame > 3);
        QTest::keyClick(page, Qt::Key_Space);
        const auto at = state.frame;
        QTest::qWait(80);
        QCOMPARE(state.frame, at);
    }
    void decisions_are_undone_and_done_again() {
        Bench b(demo_);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(5);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* page = b.window->review();
        QSignalSpy decided(page, &ui::ReviewPage::decided);
        auto choice = [&] {
            const auto d = b.session.library->decisions(5); // the background rests: it has just said so
            return d && !d->empty() ? d->front().choice : Choice::open;
        };
        page->findChild<QToolButton*>(QStringLiteral("keep"))->click();
        QTRY_COMPARE(decided.count(), 1);
        QCOMPARE(choice(), Choice::kept);
        QTest::keyClick(page, Qt::Key_Z, Qt::ControlModifier);
        QTRY_COMPARE(decided.count(), 2);
        QCOMPARE(choice(), Choice::open);
        QTest::keyClick(page, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QTRY_COMPARE(decided.count(), 3);
        QCOMPARE(choice(), Choice::kept);
    }
    void what_is_agreed_turns_a_fault_into_a_note_and_back() {
        Bench b(demo_);
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
        QTRY_VERIFY(page->findChild<QDialog*>(QStringLiteral("whyDialog")));
        QTest::mouseClick(page->findChild<QDialog*>(QStringLiteral("whyDialog"))->findChild<QPushButton*>(QStringLiteral("agree")),
                          Qt::LeftButton);
        QTRY_VERIFY(page->findChild<QDialog*>(QStringLiteral("agreementDialog")));
        auto* dialog = page->findChild<QDialog*>(QStringLiteral("agreementDialog"));
        auto* ok = dialog->findChild<QPushButton*>(QStringLiteral("agreeOk"));
        QVERIFY(!ok->isEnabled()); // not without a reason
        dialog->findChild<QLineEdit*>(QStringLiteral("agreeReason"))->setText(QStringLiteral("A stiff neck."));
        QVERIFY(ok->isEnabled());
        QTest::mouseClick(ok, Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 2, 30000);
        QVERIFY(!faults().contains(check));
        QCOMPARE(page->state().open->agreements.size(), std::size_t{1});
        QCOMPARE(page->state().open->agreements[0].reason, std::string("A stiff neck."));
        bool note = false;
        for (const auto& f : page->state().open->review->findings)
            if (f.check == check) note = note || (f.allowed && f.whose == BandLevel::student && f.reason == "A stiff neck.");
        QVERIFY(note);
        auto* words = page->findChild<QLabel*>(QStringLiteral("agreement"));
        QVERIFY(words && words->text().contains(QLatin1String("A stiff neck.")));
        // In force from the day of the clip on: not for what was filmed before it.
        Clip earlier = page->state().open->clip;
        earlier.filmed_on = "2001-01-01";
        QVERIFY(b.session.library->agreements_for(earlier)->empty());
        // Taken back, the fault stands again.
        QTest::mouseClick(page->findChild<QToolButton*>(QStringLiteral("changeAgreement")), Qt::LeftButton);
        QTRY_VERIFY(page->findChild<QDialog*>(QStringLiteral("agreementDialog")));
        QTest::mouseClick(page->findChild<QDialog*>(QStringLiteral("agreementDialog"))->findChild<QPushButton*>(QStringLiteral("agreeEnd")),
                          Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 3, 30000);
        QCOMPARE(faults(), before);
        QVERIFY(b.session.library->agreements(page->state().open->person.id)->empty());
    }
    void what_is_saved_is_what_is_ticked_at_that_moment_and_of_this_student() {
        Bench b(demo_);
        auto* letter = b.window->letter();
        auto* hide = letter->findChild<QCheckBox*>(QStringLiteral("hide"));
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        auto ready = [&] { return pdf->isEnabled(); };
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        auto words = [&](const QString& file) {
            QProcess p;
            p.start(QStringLiteral("pdftotext"), {file, QStringLiteral("-")});
            return p.waitForFinished() ? QString::fromUtf8(p.readAllStandardOutput()) : QString();
        };
        letter->open_clip(1); // of Ilse
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 30000);
        const QString open_file = dir_.filePath(QStringLiteral("open.pdf"));
        letter->export_to(open_file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 1, 30000);
        QVERIFY(words(open_file).contains(QStringLiteral("Ilse")));
        QCOMPARE(b.session.settings.export_folder, QFileInfo(open_file).absolutePath()); // the next one is offered there
        // Ticked and saved at once, long before a preview of it is there.
        QTRY_VERIFY(ready());
        hide->click();
        const QString hidden_file = dir_.filePath(QStringLiteral("hidden.pdf"));
        letter->export_to(hidden_file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 2, 30000);
        QVERIFY2(!words(hidden_file).contains(QStringLiteral("Ilse")), qPrintable(words(hidden_file)));
        QTRY_VERIFY(ready());
        hide->click();
        // Another student's letter is asked for: the former one cannot go out any more.
        letter->open_clip(3); // of Wen
        QVERIFY(!ready());
        letter->export_to(dir_.filePath(QStringLiteral("wrong.pdf")));
        QVERIFY(!QFile::exists(dir_.filePath(QStringLiteral("wrong.pdf"))));
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 30000);
        const QString other = dir_.filePath(QStringLiteral("wen.pdf"));
        letter->export_to(other);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 3, 30000);
        QVERIFY(words(other).contains(QStringLiteral("Wen")) && !words(other).contains(QStringLiteral("Ilse")));
        // All of it is kept as it went out.
        const auto person = b.session.library->clip(1)->person;
        const auto sent = *b.session.library->sent(person);
        QCOMPARE(sent.size(), std::size_t{2});
        QVERIFY(sent[0].hidden && !sent[1].hidden);
        QFile f(open_file);
        QVERIFY(f.open(QIODevice::ReadOnly));
        QCOMPARE(*b.session.library->sent_file(sent[1].id), f.readAll().toStdString());
    }
    void what_was_sent_opens_again_unchanged() {
        qputenv("BEVEL_NO_VIEWER", "1");
        Bench b(demo_);
        auto* letter = b.window->letter();
        letter->open_clip(1);
        auto* before = letter->findChild<QPushButton*>(QStringLiteral("sentBefore"));
        QTRY_VERIFY_WITH_TIMEOUT(before->isEnabled(), 30000);
        QTest::mouseClick(before, Qt::LeftButton);
        QTRY_VERIFY(letter->findChild<ui::SentDialog*>());
        auto* dialog = letter->findChild<ui::SentDialog*>();
        auto* table = dialog->findChild<QTableWidget*>(QStringLiteral("sent"));
        QTRY_COMPARE(table->rowCount(), 2);
        QSignalSpy opened(dialog, &ui::SentDialog::opened);
        table->selectRow(1);
        QTest::mouseClick(dialog->findChild<QPushButton*>(QStringLiteral("openSent")), Qt::LeftButton);
        QTRY_COMPARE(opened.count(), 1);
        QFile copy(opened.first().first().toString()), first(dir_.filePath(QStringLiteral("open.pdf")));
        QVERIFY(copy.open(QIODevice::ReadOnly) && first.open(QIODevice::ReadOnly));
        QCOMPARE(copy.readAll(), first.readAll());
        dialog->close();
    }
    void a_letter_that_cannot_be_written_says_so_and_is_not_kept() {
        Bench b(demo_);
        auto* letter = b.window->letter();
        letter->open_clip(4);
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_VERIFY_WITH_TIMEOUT(pdf->isEnabled(), 30000);
        auto said = [&] {
            for (const auto* l : letter->findChildren<QLabel*>())
                if (l->text().startsWith(QStringLiteral("Writing failed"))) return true;
            return false;
        };
        letter->export_to(QStringLiteral("/dev/full"));
        QTRY_VERIFY_WITH_TIMEOUT(said(), 30000);
        QVERIFY(b.session.library->sent(b.session.library->clip(4)->person)->empty());
        QVERIFY(pdf->isEnabled()); // and can be tried again elsewhere
    }
    void a_slow_motion_clip_of_a_correction_is_saved() {
        Bench b(demo_);
        auto* letter = b.window->letter();
        letter->open_clip(2);
        auto* slow = letter->findChild<QPushButton*>(QStringLiteral("slowMotion"));
        QTRY_VERIFY_WITH_TIMEOUT(slow->isEnabled(), 30000);
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        const QString file = dir_.filePath(QStringLiteral("slow.mp4"));
        letter->save_clip(file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 1, 60000);
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value() && reader->info().duration_s() > 3);
    }
    void a_clip_that_is_there_already_is_noticed() {
        Bench b(demo_);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 9, 20000);
        // One that came in when hashes were kept.
        auto id = b.session.library->add_clip(*b.session.library->clip(1), clip_);
        QVERIFY(id.has_value());
        QVERIFY(b.session.library->set_clip_state(*id, ClipState::failed, "cancelled").has_value());
        page->offer(QString::fromStdString(clip_.string()));
        page->findChild<QComboBox*>(QStringLiteral("student"))->setCurrentText(QStringLiteral("Wen Adeyemi"));
        QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
        auto said = [&] {
            for (const auto* l : page->findChildren<QLabel*>())
                if (l->text().startsWith(QStringLiteral("This very clip was taken in on"))) return true;
            return false;
        };
        QTRY_VERIFY_WITH_TIMEOUT(said(), 20000);
        QCOMPARE(b.session.library->clips()->size(), std::size_t{10});
        QVERIFY(b.session.library->delete_clip(*id).has_value());
    }
    void the_picture_of_another_clip_is_never_shown() {
        Bench b(demo_);
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
        Bench b(demo_);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 9, 20000);
        for (const bool on : {true, false}) {
            for (int i = 0; i < table->rowCount(); ++i)
                if (table->item(i, 0)->text() == QLatin1String("Wen Adeyemi")) table->selectRow(i);
            auto* change = page->findChild<QPushButton*>(QStringLiteral("change"));
            QTRY_VERIFY(change->isEnabled());
            QTest::mouseClick(change, Qt::LeftButton);
            auto* box = page->findChild<QCheckBox*>(QStringLiteral("mirrored"));
            QCOMPARE(box->isChecked(), !on);
            box->setChecked(on);
            QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
            QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clip(3)->mirrored == on, 20000); // the clip as it is re-read
            QTRY_VERIFY_WITH_TIMEOUT(!page->findChild<QPushButton*>(QStringLiteral("leave"))->isVisible(), 20000);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000); // the table is of the clip as it now is
            QCoreApplication::processEvents();
        }
    }
    void a_clip_can_be_given_another_movement_and_back() {
        Bench b(demo_);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 9, 20000);
        int row = -1;
        for (int i = 0; i < table->rowCount(); ++i)
            if (table->item(i, 0)->text() == QLatin1String("Greta Olmstead")) row = i;
        QVERIFY(row >= 0);
        for (const char* id : {"part_the_horses_mane", "separate_the_clouds"}) {
            table->selectRow(row);
            auto* change = page->findChild<QPushButton*>(QStringLiteral("change"));
            QTRY_VERIFY(change->isEnabled());
            QTest::mouseClick(change, Qt::LeftButton);
            auto* movement = page->findChild<QComboBox*>(QStringLiteral("movement"));
            movement->setCurrentIndex(movement->findData(QLatin1String(id)));
            QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
            const bool right = qstrcmp(id, "separate_the_clouds") == 0;
            QTRY_COMPARE_WITH_TIMEOUT(table->item(row, 4)->text(),
                                      right ? QStringLiteral("to be reviewed") : QStringLiteral("cannot be judged"), 20000);
            auto* detail = page->findChild<QLabel*>(QStringLiteral("detail"));
            QTRY_VERIFY(detail->text().contains(right ? QLatin1String("Body found on 100 %")
                                                      : QLatin1String("Nothing in the clip looks like this movement")));
        }
    }
    void keys_work_wherever_the_focus_is() {
        Bench b(demo_);
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
        QTRY_COMPARE(decided.count(), 1);
        const auto before = b.session.library->decisions(2)->size();
        QTest::keyClick(b.window->focusWidget(), Qt::Key_Space);
        auto* play = page->findChild<QToolButton*>(QStringLiteral("play"));
        QVERIFY(play->isChecked());
        QTest::keyClick(b.window->focusWidget(), Qt::Key_Space);
        QVERIFY(!play->isChecked());
        QCOMPARE(b.session.library->decisions(2)->size(), before);
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
    void every_key_stands_in_a_menu_and_on_the_sheet() {
        Bench b(demo_);
        QTest::keyClick(b.window.get(), Qt::Key_F1);
        QTRY_VERIFY(b.window->findChild<QDialog*>(QStringLiteral("shortcutSheet")));
        auto* sheet = b.window->findChild<QDialog*>(QStringLiteral("shortcutSheet"));
        auto* table = sheet->findChild<QTableWidget*>(QStringLiteral("shortcuts"));
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
        QCOMPARE(table->rowCount(), with_keys);
        sheet->findChild<QLineEdit*>(QStringLiteral("shortcutSearch"))->setText(QStringLiteral("phase"));
        QCOMPARE(table->rowCount(), 2);
        sheet->close();
    }
    void what_is_painted_is_spoken() {
        Bench b(demo_);
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
    void work_goes_on_without_its_owner_and_calls_nobody() {
        std::atomic<int> worked = 0;
        int told = 0;
        {
            ui::Background lane;
            auto owner = std::make_unique<QObject>(), other = std::make_unique<QObject>();
            for (auto* o : {owner.get(), other.get()})
                lane.run<int>(
                    o,
                    [&worked](std::stop_token) {
                        std::this_thread::sleep_for(std::chrono::milliseconds(30));
                        return ++worked;
                    },
                    [&told](int) { ++told; });
            owner.reset(); // while its work is under way or waits
            QTRY_VERIFY(lane.idle());
            QTRY_COMPARE(told, 1);
            lane.run<int>(
                other.get(), [&worked](std::stop_token) { return ++worked; }, [&told](int) { ++told; });
        } // what was posted is done before the lane ends, and nobody is called after it
        QCoreApplication::processEvents();
        QCOMPARE(worked.load(), 3);
        QCOMPARE(told, 1);
    }
    void the_theme_is_switched_live_and_remembered() {
        Bench b(demo_);
        const QColor before = b.session.theme.palette.paper;
        b.window->actions_table().find("themeDark")->trigger();
        QVERIFY(b.session.theme.palette.paper.lightnessF() < 0.3F && before.lightnessF() > 0.7F);
        QSettings kept(dir_.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
        b.session.settings.save(kept);
        QCOMPARE(ui::Settings::load(kept).theme, ui::ThemeChoice::dark);
        b.window->actions_table().find("themeLight")->trigger();
        QCOMPARE(b.session.theme.palette.paper, before);
    }
    void a_lost_file_is_said_and_given_back() {
        Bench b(demo_);
        const Clip clip = *b.session.library->clip(5);
        const auto file = b.session.library->path_of(clip),
                   away = std::filesystem::path(dir_.filePath(QStringLiteral("away.mp4")).toStdString());
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
        const auto folder = std::filesystem::path(dir_.filePath(QStringLiteral("upkeep")).toStdString());
        std::filesystem::copy(demo_, folder, std::filesystem::copy_options::recursive);
        Bench b(folder);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 9, 20000);
        auto choose = [&](const char* name) {
            for (int i = 0; i < table->rowCount(); ++i)
                if (table->item(i, 0)->text() == QLatin1String(name)) table->selectRow(i);
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
        QCOMPARE(b.session.library->clips()->size(), std::size_t{9}); // not meant
        answer(QMessageBox::DestructiveRole);
        b.window->actions_table().find("deleteClip")->trigger();
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 8, 20000);
        QCOMPARE(b.session.library->clips()->size(), std::size_t{8});
        choose("Tomas Erikse");
        answer(QMessageBox::DestructiveRole);
        b.window->actions_table().find("erasePerson")->trigger();
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 6, 20000);
        const auto people = *b.session.library->people();
        for (const auto& p : people) QVERIFY(p.name != "Tomas Erikse");
        bool said = false;
        for (const auto* l : page->findChildren<QLabel*>())
            said = said || l->text().startsWith(QStringLiteral("Tomas Erikse is erased: 2 clips"));
        QVERIFY(said);
    }
    void an_empty_place_says_what_to_do_with_a_button() {
        Bench b(demo_);
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
        Bench b(demo_);
        b.window->show_place(2);
        const QString folder = dir_.filePath(QStringLiteral("inbox"));
        QVERIFY(QDir().mkpath(folder));
        for (const char* name : {"b.mp4", "a.mp4", "notes.txt"}) {
            QFile f(folder + QLatin1Char('/') + QLatin1String(name));
            QVERIFY(f.open(QIODevice::WriteOnly));
            f.write(name); // no clip: it is refused when it is taken in, not before
        }
        QMimeData mime;
        mime.setUrls({QUrl::fromLocalFile(folder), QUrl::fromLocalFile(QString::fromStdString(clip_.string()))});
        QDragEnterEvent enter(QPoint(400, 300), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(b.window.get(), &enter);
        QDropEvent drop(QPointF(400, 300), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(b.window.get(), &drop);
        QVERIFY(drop.isAccepted());
        auto* page = b.window->arrivals();
        QVERIFY(page->isVisible());
        auto shows = [&](const QString& words) {
            for (const auto* l : page->findChildren<QLabel*>())
                if (l->text() == words) return true;
            return false;
        };
        auto* skip = page->findChild<QPushButton*>(QStringLiteral("leave"));
        QVERIFY(shows(QStringLiteral("a.mp4 (2 more after it)")) && skip->isVisible());
        QTest::mouseClick(skip, Qt::LeftButton);
        QVERIFY(shows(QStringLiteral("b.mp4 (1 more after it)")));
        QTest::mouseClick(skip, Qt::LeftButton);
        QVERIFY(shows(QString::fromStdString(clip_.filename().string())));
        QVERIFY(!skip->isVisible()); // the last one
    }
    void clips_are_found_by_student_movement_date_and_state() {
        Bench b(demo_);
        auto* page = b.window->arrivals();
        auto* table = page->findChild<QTableWidget*>(QStringLiteral("clips"));
        QTRY_COMPARE_WITH_TIMEOUT(table->rowCount(), 9, 20000);
        auto* search = page->findChild<QLineEdit*>(QStringLiteral("search"));
        auto found = [&](const char* words) {
            search->setText(QLatin1String(words));
            int n = 0;
            for (int r = 0; r < table->rowCount(); ++r) n += table->isRowHidden(r) ? 0 : 1;
            return n;
        };
        QCOMPARE(found("ilse"), 2);
        QCOMPARE(found("clouds greta"), 1);
        QCOMPARE(found("nov 2026"), 9);
        QCOMPARE(found("no such thing"), 0);
        QCOMPARE(found(""), 9);
    }
    void a_newer_library_says_that_it_is_only_read() {
        const auto folder = std::filesystem::path(dir_.filePath(QStringLiteral("newer")).toStdString());
        std::filesystem::copy(demo_, folder, std::filesystem::copy_options::recursive);
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
        QTRY_COMPARE_WITH_TIMEOUT(b.window->arrivals()->findChild<QTableWidget*>(QStringLiteral("clips"))->rowCount(), 9, 20000);
    }
    void nothing_is_clipped() {
        Bench b(demo_);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        QStringList wrong;
        for (int place = 1; place < 3; ++place) { // while nothing is open
            b.window->show_place(place);
            QTest::qWait(100);
            wrong << clipped(*b.window, QStringLiteral("empty place %1").arg(place));
        }
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        for (const QSize size : {QSize(1280, 800), QSize(1024, 700)})
            for (int place = 0; place < 3; ++place) {
                b.window->resize(size);
                b.window->show_place(place);
                QTest::qWait(150);
                wrong << clipped(*b.window, QStringLiteral("%1x%2 place %3").arg(size.width()).arg(size.height()).arg(place));
                QCOMPARE(b.window->size(), size); // nothing forces it wider
            }
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join(QLatin1Char('\n'))));
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
