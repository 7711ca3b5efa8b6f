// Drives the letter in the real window: what goes out is what is chosen, hidden where asked, and kept as it went.
#include "media/clip.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/letter/letter_view.h"
#include "ui/letter/sent_dialog.h"
#include <QCheckBox>
#include <QLabel>
#include <QProcess>
#include <QPushButton>
#include <QRegularExpression>
#include <QSignalSpy>
#include <QTableView>
#include <QTest>

using namespace bevel;
using test::Bench;

class TestLetter : public QObject {
    Q_OBJECT
    test::Copy copy_;

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }
    void what_is_saved_is_what_is_ticked_at_that_moment_and_of_this_student() {
        Bench b(copy_.demo);
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
        const QString open_file = copy_.dir.filePath(QStringLiteral("open.pdf"));
        letter->export_to(open_file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 1, 30000);
        QVERIFY(words(open_file).contains(QStringLiteral("Ilse")));
        QCOMPARE(b.session.settings.export_folder, QFileInfo(open_file).absolutePath()); // the next one is offered there
        // Ticked and saved at once, long before a preview of it is there.
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 30000);
        hide->click();
        const QString hidden_file = copy_.dir.filePath(QStringLiteral("hidden.pdf"));
        letter->export_to(hidden_file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 2, 30000);
        QVERIFY2(!words(hidden_file).contains(QStringLiteral("Ilse")), qPrintable(words(hidden_file)));
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 30000);
        hide->click();
        // Another student's letter is asked for: the former one cannot go out any more.
        letter->open_clip(3); // of Wen
        QVERIFY(!ready());
        letter->export_to(copy_.dir.filePath(QStringLiteral("wrong.pdf")));
        QVERIFY(!QFile::exists(copy_.dir.filePath(QStringLiteral("wrong.pdf"))));
        QTRY_VERIFY_WITH_TIMEOUT(ready(), 30000);
        const QString other = copy_.dir.filePath(QStringLiteral("wen.pdf"));
        letter->export_to(other);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 3, 30000);
        QVERIFY(words(other).contains(QStringLiteral("Wen")) && !words(other).contains(QStringLiteral("Ilse")));
        // All of it is kept as it went out.
        const auto person = b.session.library->clips().get(1)->person;
        const auto sent = *b.session.library->letters().sent(person);
        QCOMPARE(sent.size(), std::size_t{2});
        QVERIFY(sent[0].hidden && !sent[1].hidden);
        QFile f(open_file);
        QVERIFY(f.open(QIODevice::ReadOnly));
        QCOMPARE(*b.session.library->letters().sent_file(sent[1].id), f.readAll().toStdString());
    }
    // Noor sent two clips in a week: one letter, its corrections from the ground up over both; each may be left to a letter of its own.
    void one_letter_answers_both_clips_of_a_visit() {
        Bench b(copy_.demo);
        auto& lib = *b.session.library;
        const auto open = load_review(lib, b.session.forms(), 5, "en");
        QVERIFY(open.has_value());
        const Finding* fault = nullptr;
        for (const auto& f : (*open)->review->findings)
            if (!fault && (f.verdict == Verdict::outside || f.verdict == Verdict::edge)) fault = &f;
        QVERIFY(fault);
        auto* letter = b.window->letter();
        auto* list = letter->findChild<QListWidget*>(QStringLiteral("corrections"));
        auto head = [&]() -> QListWidgetItem* {
            for (int i = 0; i < list->count(); ++i)
                if (list->item(i)->data(Qt::UserRole).toString().isEmpty()) return list->item(i);
            return nullptr;
        };
        QSignalSpy filled(letter, &ui::LetterPage::filled_in), saved(letter, &ui::LetterPage::exported);
        letter->open_clip(16);
        QTRY_COMPARE_WITH_TIMEOUT(filled.count(), 1, 60000);
        QVERIFY(head() && head()->text().contains(QStringLiteral("nothing was kept in it yet")));
        Decision keep;
        keep.key = FindingKey::of(*fault), keep.choice = Choice::kept;
        QVERIFY(lib.decisions().decide(5, keep).has_value());
        letter->open_clip(16);
        QTRY_COMPARE_WITH_TIMEOUT(filled.count(), 2, 60000);
        QVERIFY(head() && head()->checkState() == Qt::Checked);
        QVERIFY(head()->text().contains(QStringLiteral("Gaze at the Moon")));
        // With three of the form chosen it is chosen in place of one of them.
        const int at = list->row(head());
        QCOMPARE(list->item(at + 1)->data(Qt::UserRole + 1).toLongLong(), qint64{5});
        for (int i = 0; i < at; ++i) list->item(i)->setCheckState(i == 0 ? Qt::Checked : Qt::Unchecked);
        list->item(at + 1)->setCheckState(Qt::Checked);
        auto text_of = [&](const char* name) {
            const QString file = copy_.dir.filePath(QLatin1String(name));
            const auto before = saved.count();
            letter->export_to(file);
            [&] { QTRY_COMPARE_WITH_TIMEOUT(saved.count(), before + 1, 60000); }();
            QFile f(file);
            return f.open(QIODevice::ReadOnly) ? QString::fromUtf8(f.readAll()) : QString();
        };
        const QString both = text_of("both.txt");
        QVERIFY2(both.contains(QStringLiteral("Gaze at the Moon:")), qPrintable(both));
        QVERIFY(both.contains(ui::said(fault->cue)));
        QCOMPARE(lib.letters().of(5)->front().goes_with, qint64{16});
        QVERIFY(!lib.letters().of(5)->front().sent_on.empty());
        // Asked for by its other clip, it is the same letter.
        letter->open_clip(5);
        QTRY_COMPARE_WITH_TIMEOUT(filled.count(), 3, 60000);
        QCOMPARE(letter->shown_clip(), qint64{16});
        // Left out, nothing of it is said, and the choice can be undone.
        head()->setCheckState(Qt::Unchecked);
        QCOMPARE(list->item(at + 1)->checkState(), Qt::Unchecked);
        QVERIFY(!(list->item(at + 1)->flags() & Qt::ItemIsEnabled));
        QVERIFY(!text_of("one.txt").contains(QStringLiteral("Gaze at the Moon")));
        QCOMPARE(lib.letters().of(5)->front().goes_with, qint64{0});
    }
    // All pages in one look, the chosen correction large beside them; what is chosen here is chosen in the list.
    void the_page_and_the_list_choose_the_same_correction() {
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        auto* list = letter->findChild<QListWidget*>(QStringLiteral("corrections"));
        auto* view = letter->findChild<ui::LetterView*>();
        auto* strip = view->findChild<ui::PageStrip*>();
        auto* sheet = view->findChild<ui::CorrectionSheet*>();
        b.window->show_place(2);
        QSignalSpy shown(view, &ui::LetterView::shown);
        // A letter with several corrections to choose from.
        for (const int clip : {2, 4, 6, 7, 16}) {
            letter->open_clip(clip);
            QVERIFY(!view->shows_letter());
            QTRY_VERIFY_WITH_TIMEOUT(view->shows_letter(), 60000);
            if (list->count() > 1 && !list->item(1)->data(Qt::UserRole).toString().isEmpty()) break;
        }
        for (int i = 0; i < std::min(list->count(), 2); ++i)
            if (list->item(i)->checkState() != Qt::Checked) {
                const auto before = shown.count();
                list->item(i)->setCheckState(Qt::Checked);
                QTRY_VERIFY_WITH_TIMEOUT(shown.count() > before, 60000);
            }
        QTRY_VERIFY_WITH_TIMEOUT(strip->spoken().size() > 0, 60000);
        // With the mouse: a click on a correction chooses its row.
        int clicked = 0;
        for (int i = 0; i < 3 && !strip->box_of(i).isEmpty(); ++i) {
            QTest::mouseClick(strip, Qt::LeftButton, {}, strip->box_of(i).center().toPoint());
            QCOMPARE(view->chosen(), i);
            QCOMPARE(sheet->item(), i);
            const QString cue = sheet->spoken().front().value;
            QVERIFY2(cue.contains(list->currentItem()->text().section(QLatin1Char('\n'), 1)), qPrintable(cue));
            ++clicked;
        }
        QVERIFY(clicked >= 2);
        // With the keys: up, and Enter reads the pages.
        strip->setFocus();
        QTest::keyClick(strip, Qt::Key_Up);
        QCOMPARE(view->chosen(), clicked - 2);
        QTest::keyClick(strip, Qt::Key_Return);
        QVERIFY(view->reads_pages());
        QTRY_VERIFY_WITH_TIMEOUT(!view->findChild<QLabel*>(QStringLiteral("preview"))->pixmap().isNull(), 30000);
        view->read_pages(false);
        // What is not in the letter is not shown as if it were.
        const auto before = shown.count();
        list->setCurrentRow(clicked - 1);
        list->item(clicked - 1)->setCheckState(Qt::Unchecked);
        QTRY_VERIFY_WITH_TIMEOUT(shown.count() > before, 60000);
        QCOMPARE(view->chosen(), -1);
        QVERIFY(sheet->spoken().front().value.contains(QStringLiteral("not in the letter")));
        // Of another letter nothing stays while it is opened.
        letter->open_clip(3);
        QVERIFY(!view->shows_letter() && sheet->item() == -1);
        QVERIFY(view->findChild<QLabel*>(QStringLiteral("preview"))->pixmap().isNull());
        QTRY_VERIFY_WITH_TIMEOUT(view->shows_letter(), 60000);
        // However the window is pulled, the whole of the letter is seen.
        for (const QSize size : {QSize(1000, 700), QSize(1280, 800), QSize(1700, 1000)}) {
            b.window->resize(size);
            QCoreApplication::processEvents();
            QVERIFY(strip->height() <= view->height() && strip->width() <= view->width() / 2);
            QVERIFY(sheet->isVisible() && sheet->width() > view->width() / 2 - 40); // the other half is the correction's
        }
    }
    // For messengers: the words said aloud, and a clip that is no larger than they take.
    void a_letter_is_spoken_and_its_clip_fits() {
        test::Copy own; // what goes out here is not what others find
        QVERIFY(own.make());
        Bench b(own.demo);
        auto* letter = b.window->letter();
        QSignalSpy filled(letter, &ui::LetterPage::filled_in), saved(letter, &ui::LetterPage::exported);
        letter->open_clip(4);
        QTRY_COMPARE_WITH_TIMEOUT(filled.count(), 1, 60000);
        const QString said = copy_.dir.filePath(QStringLiteral("said.ogg"));
        letter->save_spoken(said);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 1, 60000);
        QProcess probe; // two corrections and what belongs to them are not said in less
        probe.start(QStringLiteral("ffprobe"), {QStringLiteral("-v"), QStringLiteral("error"), QStringLiteral("-show_entries"),
                                                QStringLiteral("format=duration"), QStringLiteral("-of"), QStringLiteral("csv=p=0"), said});
        QVERIFY(probe.waitForFinished(20000));
        const double seconds = probe.readAllStandardOutput().trimmed().toDouble();
        QVERIFY2(seconds > 15 && seconds < 240, qPrintable(QString::number(seconds)));
        // As it would be read: no figures, each remark with what to do.
        ui::LetterContent c;
        c.opening = QStringLiteral("Dear Paulo,");
        c.items.resize(1);
        c.items[0].cue = QStringLiteral("Sink straight down");
        c.items[0].seen = QStringLiteral("The trunk leans forward.");
        c.items[0].figure = QStringLiteral("16 ± 3°");
        const QString words = ui::letter_spoken(c);
        QVERIFY(words.contains(QStringLiteral("Sink straight down.")) && !words.contains(QStringLiteral("16")));
        QVERIFY(words.contains(QStringLiteral("clinician")));
        letter->save_spoken(copy_.dir.filePath(QStringLiteral("said.wav"))); // another kind is refused
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        QVERIFY(!QFile::exists(copy_.dir.filePath(QStringLiteral("said.wav"))));
        const auto sent = *b.session.library->letters().sent(b.session.library->clips().get(4)->person);
        QCOMPARE(sent.front().kind, std::string("sound"));
        QVERIFY(b.session.library->letters().sent_file(sent.front().id)->starts_with("OggS"));
        auto* most = letter->findChild<QComboBox*>(QStringLiteral("clipMost"));
        most->setCurrentIndex(most->findData(3));
        const QString clip = copy_.dir.filePath(QStringLiteral("slow.mp4"));
        letter->save_clip(clip);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 2, 120000);
        QVERIFY(QFileInfo(clip).size() > 10000 && QFileInfo(clip).size() <= 3'000'000);
    }
    void what_was_sent_opens_again_unchanged() {
        qputenv("BEVEL_NO_VIEWER", "1");
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        letter->open_clip(1);
        auto* before = letter->findChild<QPushButton*>(QStringLiteral("sentBefore"));
        QTRY_VERIFY_WITH_TIMEOUT(before->isEnabled(), 30000);
        QTest::mouseClick(before, Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(letter->findChild<ui::SentDialog*>(), 30000);
        auto* dialog = letter->findChild<ui::SentDialog*>();
        auto* table = dialog->findChild<QTableView*>(QStringLiteral("sent"));
        QTRY_COMPARE_WITH_TIMEOUT(rows(table), 2, 30000);
        QSignalSpy opened(dialog, &ui::SentDialog::opened);
        table->selectRow(1);
        QTest::mouseClick(dialog->findChild<QPushButton*>(QStringLiteral("openSent")), Qt::LeftButton);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        QFile copy(opened.first().first().toString()), first(copy_.dir.filePath(QStringLiteral("open.pdf")));
        QVERIFY(copy.open(QIODevice::ReadOnly) && first.open(QIODevice::ReadOnly));
        QCOMPARE(copy.readAll(), first.readAll());
        dialog->close();
    }
    void a_letter_that_cannot_be_written_says_so_and_is_not_kept() {
        Bench b(copy_.demo);
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
        QVERIFY(b.session.library->letters().sent(b.session.library->clips().get(4)->person)->empty());
        QVERIFY(pdf->isEnabled()); // and can be tried again elsewhere
    }
    void a_slow_motion_clip_of_a_correction_is_saved() {
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        letter->open_clip(2);
        auto* slow = letter->findChild<QPushButton*>(QStringLiteral("slowMotion"));
        QTRY_VERIFY_WITH_TIMEOUT(slow->isEnabled(), 30000);
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        const QString file = copy_.dir.filePath(QStringLiteral("slow.mp4"));
        letter->save_clip(file);
        QTRY_COMPARE_WITH_TIMEOUT(saved.count(), 1, 60000);
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value() && reader->info().duration_s() > 3);
    }
    void cards_for_a_messenger_are_kept_and_hide_who_it_is() {
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        auto* cards = letter->findChild<QPushButton*>(QStringLiteral("saveCards"));
        auto* hide = letter->findChild<QCheckBox*>(QStringLiteral("hide"));
        letter->open_clip(2);
        QTRY_VERIFY_WITH_TIMEOUT(cards->isEnabled(), 30000);
        const auto person = b.session.library->clips().get(2)->person;
        const auto before = b.session.library->letters().sent(person)->size();
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        letter->save_cards(copy_.dir.filePath(QStringLiteral("card.png")));
        const auto words = [&] {
            QStringList all;
            for (const auto* l : letter->findChildren<QLabel*>()) all << l->text().left(120);
            return all.join(QStringLiteral(" | "));
        };
        QTRY_VERIFY2_WITH_TIMEOUT(saved.count() == 1, qPrintable(words()), 60000);
        const auto sent = *b.session.library->letters().sent(person);
        QVERIFY(sent.size() > before);
        QSet<QString> files;
        for (std::size_t i = 0; i + before < sent.size(); ++i) {
            QCOMPARE(sent[i].kind, std::string("card"));
            const auto bytes = *b.session.library->letters().sent_file(sent[i].id);
            const QImage kept = QImage::fromData(QByteArray::fromStdString(bytes));
            QCOMPARE(kept.size(), QSize(1080, 1350));
            QVERIFY(kept.text().isEmpty()); // nothing is said beside the picture
            files << QString::fromStdString(sent[i].name);
        }
        QCOMPARE(files.size(), static_cast<qsizetype>(sent.size() - before)); // each its own
        // With a name in the file's name nothing goes out while it is to be hidden.
        QTRY_VERIFY_WITH_TIMEOUT(cards->isEnabled(), 30000);
        hide->click();
        const auto people = b.session.library->people().all();
        QVERIFY(people);
        std::string name;
        for (const auto& p : *people)
            if (p.id == person) name = p.name.substr(0, p.name.find(' '));
        const QString telling = QString::fromStdString(name + ".png"), telling1 = QString::fromStdString(name + "-1.png");
        const auto count = b.session.library->letters().sent(person)->size();
        letter->save_cards(copy_.dir.filePath(telling));
        QTRY_VERIFY_WITH_TIMEOUT(cards->isEnabled() && b.background.idle(), 60000);
        QCOMPARE(b.session.library->letters().sent(person)->size(), count);
        QVERIFY(!QFile::exists(copy_.dir.filePath(telling)) && !QFile::exists(copy_.dir.filePath(telling1)));
        hide->click();
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
    }
    void all_letters_of_an_evening_go_on_paper_at_once() {
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        for (const qint64 clip : {1, 3}) { // of Ilse and of Wen
            letter->open_clip(clip);
            QTRY_VERIFY_WITH_TIMEOUT(pdf->isEnabled(), 30000);
            const auto before = saved.count();
            letter->export_to(copy_.dir.filePath(QStringLiteral("tonight-%1.pdf").arg(clip)));
            QTRY_COMPARE_WITH_TIMEOUT(saved.count(), before + 1, 60000);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
        }
        const QString file = copy_.dir.filePath(QStringLiteral("evening.pdf"));
        letter->save_evening(file);
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(file) && b.background.idle(), 60000);
        const auto said = [&] {
            const auto labels = letter->findChildren<QLabel*>();
            return std::any_of(labels.begin(), labels.end(),
                               [](const QLabel* l) { return l->text().contains(QStringLiteral("saved for paper")); });
        };
        QTRY_VERIFY_WITH_TIMEOUT(said(), 20000);
        QProcess p;
        p.start(QStringLiteral("pdftotext"), {file, QStringLiteral("-")});
        QVERIFY(p.waitForFinished());
        const QString words = QString::fromUtf8(p.readAllStandardOutput());
        QVERIFY(words.contains(QStringLiteral("Ilse")) && words.contains(QStringLiteral("Wen")));
        QVERIFY(words.indexOf(QChar::FormFeed) >= 0); // each begins on a page of its own
        // Black and white: no pixel of the first page has a colour.
        p.start(QStringLiteral("pdftoppm"), {QStringLiteral("-r"), QStringLiteral("40"), QStringLiteral("-f"), QStringLiteral("1"),
                                             QStringLiteral("-l"), QStringLiteral("1"), QStringLiteral("-png"),
                                             QStringLiteral("-singlefile"), file, copy_.dir.filePath(QStringLiteral("evening"))});
        QVERIFY(p.waitForFinished());
        const QImage page(copy_.dir.filePath(QStringLiteral("evening.png")));
        QVERIFY(!page.isNull());
        int coloured = 0, shown = 0;
        for (int y = 0; y < page.height(); ++y)
            for (int x = 0; x < page.width(); ++x) {
                const QColor c = page.pixelColor(x, y);
                coloured += c.saturation() > 40 && c.value() > 60 ? 1 : 0;
                shown += c.value() < 200 ? 1 : 0;
            }
        QVERIFY2(shown > 500 && coloured == 0, qPrintable(QStringLiteral("%1 of %2").arg(coloured).arg(shown)));
    }
    void lengths_are_those_the_reader_is_used_to_and_consent_is_asked_after() {
        Bench b(copy_.demo);
        auto* letter = b.window->letter();
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        auto* consent = letter->findChild<QLabel*>(QStringLiteral("letterConsent"));
        QSignalSpy saved(letter, &ui::LetterPage::exported);
        const auto words_of = [&](qint64 clip, const char* name) {
            letter->open_clip(clip);
            if (!QTest::qWaitFor([&] { return pdf->isEnabled(); }, 30000)) return QString();
            const int before = static_cast<int>(saved.count());
            const QString file = copy_.dir.filePath(QLatin1String(name));
            letter->export_to(file);
            if (!QTest::qWaitFor([&] { return saved.count() > before; }, 30000)) return QString();
            QFile f(file);
            return f.open(QIODevice::ReadOnly) ? QString::fromUtf8(f.readAll()) : QString();
        };
        // A clip whose letter tells a length.
        qint64 clip = 0;
        const QRegularExpression in_cm(QStringLiteral("\\d cm\\b")), in_inches(QStringLiteral("\\d in\\b"));
        const std::vector<Clip> clips = b.session.library->clips().all().value();
        for (const auto& c : clips)
            if (clip == 0 && c.state == ClipState::reviewed && words_of(c.id, "looked.html").contains(in_cm)) clip = c.id;
        QVERIFY(clip != 0);
        const auto person = b.session.library->clips().get(clip)->person;
        auto facts = *b.session.library->people().facts(person);
        facts.lengths = "in";
        facts.consents.clear();
        QVERIFY(b.session.library->people().set_facts(person, facts).has_value());
        const QString inches = words_of(clip, "inches.html");
        QVERIFY(inches.contains(in_inches) && !inches.contains(in_cm));
        // Nothing is written down of consent: said, until it is hidden who it is.
        QVERIFY(!consent->isHidden());
        auto* hide = letter->findChild<QCheckBox*>(QStringLiteral("hide"));
        hide->click();
        QVERIFY(consent->isHidden());
        hide->click();
        facts.lengths = "";
        facts.consent = "2026-10-01, at home, and to nothing else"; // words say nothing of a purpose
        set_consent(facts, Purpose::kept, true, "2026-10-01");
        QVERIFY(b.session.library->people().set_facts(person, facts).has_value());
        QVERIFY(words_of(clip, "home.html").contains(in_cm));
        QVERIFY(!consent->isHidden());
        set_consent(facts, Purpose::shown, true, "2026-10-01");
        QVERIFY(b.session.library->people().set_facts(person, facts).has_value());
        QVERIFY(words_of(clip, "again.html").contains(in_cm));
        QVERIFY(consent->isHidden());
    }
};
QTEST_MAIN(TestLetter)
#include "test_letter.moc"
