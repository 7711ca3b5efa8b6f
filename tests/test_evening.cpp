// The evening's work in the real window: ten clips from arrival to saved letter by keys alone; letters with fields, own words, languages
// and what became of them.
#include "support/window_bench.h"
#include "ui/letter/field_edit.h"
#include "ui/letter/mail.h"
#include "ui/letter/phrase_dialog.h"
#include "ui/letter/sent_dialog.h"
#include "ui/review/reword_dialog.h"
#include <QCheckBox>
#include <QClipboard>
#include <QDateEdit>
#include <QFile>
#include <QGuiApplication>
#include <QListWidget>
#include <QMenu>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTabWidget>

using namespace bevel;
using test::Bench;

namespace {

/// The value itself, so that a loop may go over it.
template <class T> T must(Result<T> r) {
    return std::move(*r);
}

QString words_of(const QString& pdf) {
    QProcess p;
    p.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), pdf, QStringLiteral("-")});
    return p.waitForFinished() ? QString::fromUtf8(p.readAllStandardOutput()).simplified() : QString();
}

/// Presses keys where the focus is, and counts them.
struct Hand {
    QWidget& window;
    int keys = 0;
    QWidget* at() const {
        QWidget* w = QApplication::activeModalWidget();
        if (!w) w = &window;
        return w->focusWidget() ? w->focusWidget() : w;
    }
    void press(Qt::Key key, Qt::KeyboardModifiers mods = {}) {
        ++keys;
        QTest::keyClick(at(), key, mods);
    }
    void type(const QString& words) {
        keys += static_cast<int>(words.size());
        QTest::keyClicks(at(), words);
    }
};

} // namespace

class TestEvening : public QObject {
    Q_OBJECT
    test::Copy copy_;
    std::int64_t two_ = 0; // a clip with two findings or more outside their bands

    void open_letter(Bench& b, std::int64_t clip) {
        auto* letter = b.window->letter();
        b.window->show_place(b.window->place(QStringLiteral("letter")));
        QSignalSpy filled(letter, &ui::LetterPage::filled_in);
        letter->open_clip(clip);
        QVERIFY(filled.wait(30000));
        QCOMPARE(letter->shown_clip(), clip);
    }

private slots:
    void initTestCase() {
        QVERIFY(copy_.make());
        ui::Session s;
        s.catalogue = *ui::Catalogue::load(test::data_dir());
        s.movements = load_movements(test::data_dir());
        auto lib = *Library::open(copy_.demo);
        for (const auto& c : must(lib.clips().all())) {
            if (two_ != 0 || c.person == 0 || c.pair != 0 || c.state != ClipState::tracked || !lib.clips().has_file(c)) continue;
            const auto open = load_review(lib, s.forms(), c.id, "en");
            if (!open) continue;
            const auto& all = (*open)->review->findings;
            // Two remarks, be they of one side or of both: a decision is then of one key or of several.
            int remarks = 0;
            for (const auto& f : all) remarks += f.verdict == Verdict::outside && remark_of(f, all).front() == &f ? 1 : 0;
            if (remarks >= 2) two_ = c.id;
        }
        QVERIFY(two_ != 0);
    }

    void ten_clips_by_keyboard() {
        constexpr int clips = 10; // each is seconds of stills and paper; the thirtieth is no other than the tenth
        const std::filesystem::path folder = copy_.dir.filePath(QStringLiteral("ten")).toStdString();
        {
            // Ten clips of one evening: the same take by as many people, each with its own film, points and record.
            auto demo = *Library::open(copy_.demo);
            const Clip like = *demo.clips().get(two_);
            const Track track = *demo.tracks().load(two_);
            auto lib = *Library::open(folder);
            for (int n = 0; n < clips; ++n) {
                Person p;
                p.name = "Student " + std::to_string(n + 1);
                p.stature_m = *demo.people().height_at(like.person, like.filmed_on);
                Clip c = like;
                c.person = *lib.people().add(p);
                c.state = ClipState::tracked;
                c.filmed_on = c.arrived_on = "2026-11-" + std::string(n < 9 ? "0" : "") + std::to_string(n + 1);
                const auto id = lib.clips().add(c, demo.clips().path_of(like));
                QVERIFY(id && lib.tracks().save(*id, track) && lib.clips().set_state(*id, ClipState::tracked, ""));
            }
        }
        Bench b(folder);
        b.session.settings.export_folder = copy_.dir.filePath(QStringLiteral("letters"));
        QVERIFY(QDir().mkpath(b.session.settings.export_folder));
        auto* review = b.window->review();
        auto* letter = b.window->letter();
        QTRY_COMPARE_WITH_TIMEOUT(b.window->evening().all().size(), std::size_t(clips), 30000);
        QSignalSpy opened(review, &ui::ReviewPage::opened), decided(review, &ui::ReviewPage::decided),
            filled(letter, &ui::LetterPage::filled_in), exported(letter, &ui::LetterPage::exported);
        int most = 0;
        for (int n = 0; n < clips; ++n) {
            Hand hand{*b.window};
            hand.press(Qt::Key_F6); // the next one
            QTRY_COMPARE_WITH_TIMEOUT(opened.count(), n + 1, 60000);
            const auto open = review->state().open;
            QCOMPARE(open->person.name, "Student " + std::to_string(n + 1)); // who waits longest
            decided.clear();
            // The first in one's own words, on the first evening typed, later taken from what was said before.
            hand.press(Qt::Key_W);
            ui::RewordDialog* dialog = nullptr;
            QTRY_VERIFY_WITH_TIMEOUT(dialog = review->findChild<ui::RewordDialog*>(), 20000);
            QTRY_VERIFY_WITH_TIMEOUT(dialog->isActiveWindow(), 30000);
            if (n == 0) {
                hand.type(QStringLiteral("Sink straight down."));
                hand.press(Qt::Key_Return, Qt::ControlModifier);
            } else {
                hand.press(Qt::Key_Down);
                hand.press(Qt::Key_Return);
            }
            QTRY_VERIFY_WITH_TIMEOUT(decided.count() > 0 && b.background.idle(), 20000);
            QTRY_VERIFY_WITH_TIMEOUT(!review->findChild<ui::RewordDialog*>(), 30000);
            b.window->activateWindow(); // where no window manager does it
            QVERIFY(QTest::qWaitForWindowActive(b.window.get()));
            hand.press(Qt::Key_Period);
            const auto worded = decided.count();
            hand.press(Qt::Key_K); // the second as it is
            QTRY_VERIFY_WITH_TIMEOUT(decided.count() > worded && b.background.idle(), 30000);
            hand.press(Qt::Key_L);
            QTRY_COMPARE_WITH_TIMEOUT(filled.count(), n + 1, 30000);
            hand.press(Qt::Key_S, Qt::ControlModifier);
            QTRY_COMPARE_WITH_TIMEOUT(exported.count(), n + 1, 60000);
            QVERIFY2(hand.keys <= 40, qPrintable(QString::number(hand.keys)));
            most = std::max(most, hand.keys);
            // The moment of each finding that goes out was on the screen.
            const auto letters = b.session.library->letters().of(open->clip.id).value();
            QCOMPARE(letters.size(), std::size_t(1));
            if (letters[0].checks.size() != 2) {
                for (const auto& k : letters[0].checks) qWarning("%d: in the letter %s", n, k.c_str());
                for (const auto& d : must(b.session.library->decisions().of(open->clip.id)))
                    qWarning("decided %s %d", d.key.text().c_str(), static_cast<int>(d.choice));
                for (const auto& f : open->review->findings)
                    if (f.verdict == Verdict::outside || f.verdict == Verdict::edge)
                        qWarning("found %s %d", FindingKey::of(f).text().c_str(), static_cast<int>(f.verdict));
            }
            QCOMPARE(letters[0].checks.size(), std::size_t(2));
            const double half = 0.51 / open->review->motion.rate;
            for (const auto& f : open->review->findings) {
                if (std::find(letters[0].checks.begin(), letters[0].checks.end(), FindingKey::of(f).text()) == letters[0].checks.end())
                    continue;
                const auto& seen = review->seen_at();
                const bool by_key = std::any_of(seen.begin(), seen.end(), [&](const auto& s) {
                    return s.first == FindingKey::of(f) && std::abs(s.second - f.time_s) <= half;
                });
                QVERIFY2(by_key, FindingKey::of(f).text().c_str());
            }
            const QString said = words_of(exported.last().at(0).toString());
            QVERIFY2(said.contains(QStringLiteral("Sink straight down.")) && said.contains(QStringLiteral("Student %1").arg(n + 1)),
                     qPrintable(said));
        }
        qInfo("at most %d keys a clip", most);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->evening().all().empty(), 20000); // nobody waits any more
        QVERIFY(b.window->evening().knows_pace());
        const auto phrases = b.session.library->letters().phrases().value();
        QCOMPARE(phrases.size(), std::size_t(1));
        QCOMPARE(phrases[0].used, clips);
    }

    void homework_language_and_large_type_are_in_the_letter() {
        Bench b(copy_.demo);
        const auto person = b.session.library->clips().get(two_)->person;
        PersonFacts facts = *b.session.library->people().facts(person);
        facts.language = "de";
        QVERIFY(b.session.library->people().set_facts(person, facts));
        {
            const auto open = load_review(*b.session.library, b.session.forms(), two_, "en");
            QVERIFY(open);
            const Finding& f = (*open)->review->findings.front();
            QVERIFY(b.session.library->decisions().decide(two_,
                                                          {f.key(), f.side ? std::string(side_name(*f.side)) : "", Choice::kept, "", ""}));
        }
        open_letter(b, two_);
        auto* letter = b.window->letter();
        QCOMPARE(letter->findChild<QComboBox*>(QStringLiteral("letterLanguage"))->currentData().toString(), QStringLiteral("de"));
        auto* templates = letter->findChild<QComboBox*>(QStringLiteral("template"));
        templates->setCurrentIndex(0); // words of the demo's own stand there: the template's instead
        emit templates->activated(0);
        auto* list = letter->findChild<QListWidget*>(QStringLiteral("corrections"));
        QVERIFY(list->count() >= 1);
        list->setCurrentRow(0);
        list->item(0)->setCheckState(Qt::Checked);
        letter->findChild<QSpinBox*>(QStringLiteral("homeworkTimes"))->setValue(2);
        letter->findChild<QSpinBox*>(QStringLiteral("homeworkSide"))->setValue(3);
        auto* movement = letter->findChild<QComboBox*>(QStringLiteral("homeworkMovement"));
        movement->setCurrentIndex(1);
        letter->findChild<QCheckBox*>(QStringLiteral("lookAgain"))->setChecked(true);
        letter->findChild<QDateEdit*>(QStringLiteral("nextLook"))->setDate(QDate(2026, 12, 10));
        QSignalSpy exported(letter, &ui::LetterPage::exported);
        const QString german = copy_.dir.filePath(QStringLiteral("german.html"));
        letter->export_to(german);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 30000);
        QFile f(german);
        QVERIFY(f.open(QIODevice::ReadOnly));
        const QString html = QString::fromUtf8(f.readAll());
        QVERIFY(html.contains(QStringLiteral("<html lang=\"de\">")) && html.contains(QStringLiteral("<main>")));
        QVERIFY2(html.contains(QStringLiteral("10. Dezember 2026")), qPrintable(html.right(1500)));
        QVERIFY(html.contains(QStringLiteral("2-mal am Tag")) && html.contains(QStringLiteral("3 je Seite")));
        for (const char* english : {"What went well", "in every", "Pain means", "Please send", "Dear "})
            QVERIFY2(!html.contains(QLatin1String(english)), english);
        // The windows go on in their own language.
        QCOMPARE(letter->findChild<QPushButton*>(QStringLiteral("primary"))->text(), QStringLiteral("Save as PDF …"));
        // In large type it is as long again, or nearly.
        const QString plain = copy_.dir.filePath(QStringLiteral("plain.pdf")), large = copy_.dir.filePath(QStringLiteral("large.pdf"));
        letter->export_to(plain);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 2, 30000);
        letter->findChild<QCheckBox*>(QStringLiteral("largeType"))->setChecked(true);
        letter->export_to(large);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 3, 30000);
        const auto kept = b.session.library->letters().of(two_)->front();
        QVERIFY(kept.large && kept.review_on == "2026-12-10" && kept.with.size() == 1 &&
                kept.with.begin()->second.homework.times_a_day == 2);
        // A short message has the words alone.
        letter->findChild<QPushButton*>(QStringLiteral("copyText"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(QGuiApplication::clipboard()->text().contains(QStringLiteral("2-mal am Tag")), 30000);
        QVERIFY(!QGuiApplication::clipboard()->text().contains(QLatin1Char('<')));
        facts.language.clear();
        QVERIFY(b.session.library->people().set_facts(person, facts));
        auto* language = letter->findChild<QComboBox*>(QStringLiteral("letterLanguage"));
        language->setCurrentIndex(language->findData(QStringLiteral("en")));
        emit language->activated(language->currentIndex());
        letter->findChild<QCheckBox*>(QStringLiteral("largeType"))->setChecked(false);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->letters().of(two_)->front().language == "en", 20000);
    }

    void fields_are_looked_up_and_refused_when_they_no_longer_hold() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(two_);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        const auto open = b.window->review()->state().open;
        const Finding f = open->review->findings.front();
        const std::string side = f.side ? std::string(side_name(*f.side)) : "";
        QVERIFY(b.session.library->decisions().decide(two_, {f.key(), side, Choice::kept, "", ""}));
        open_letter(b, two_);
        auto* letter = b.window->letter();
        letter->findChild<QCheckBox*>(QStringLiteral("lookAgain"))->setChecked(false);
        auto* words = letter->findChild<ui::FieldEdit*>(QStringLiteral("opening"));
        words->set_words(QStringLiteral("Dear {name}, it was "));
        QTextCursor end = words->textCursor();
        end.movePosition(QTextCursor::End);
        words->setTextCursor(end);
        // Put in by the menu, as a figure of this clip.
        auto* menu = letter->findChild<QMenu*>(QStringLiteral("fields"));
        emit menu->aboutToShow();
        QAction* figure = nullptr;
        for (auto* a : menu->actions())
            if (a->text().startsWith(QStringLiteral("figure of"))) figure = figure ? figure : a;
        QVERIFY(figure);
        figure->trigger();
        const QString raw = words->words();
        QCOMPARE(raw, QStringLiteral("Dear {name}, it was {figure %1 %2}").arg(two_).arg(QString::fromStdString(FindingKey::of(f).text())));
        QSignalSpy exported(letter, &ui::LetterPage::exported);
        const QString file = copy_.dir.filePath(QStringLiteral("fields.pdf"));
        letter->export_to(file);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 30000);
        const QString first = QString::fromStdString(open->person.name).section(QLatin1Char(' '), 0, 0);
        const QString value =
            ui::text::figure(f.value, QString::fromStdString(f.unit), b.session.settings.units(open->review->motion, open->person));
        QVERIFY2(words_of(file).contains(QStringLiteral("Dear %1, it was %2").arg(first, value).simplified()), qPrintable(words_of(file)));
        // Of another clip, of a finding that is not there, of no kind: refused with words, nothing is written.
        for (const auto& [bad, says] : {std::pair{QStringLiteral("{figure 9999 %1}").arg(QString::fromStdString(FindingKey::of(f).text())),
                                                  QStringLiteral("another clip")},
                                        {QStringLiteral("{figure %1 no_such.high/left}").arg(two_), QStringLiteral("not found")},
                                        {QStringLiteral("{change %1 no_such/left}").arg(two_), QStringLiteral("better")},
                                        {QStringLiteral("{shoe size}"), QStringLiteral("no such field")},
                                        {QStringLiteral("{next}"), QStringLiteral("next look")}}) {
            words->set_words(bad);
            const QString no = copy_.dir.filePath(QStringLiteral("no.pdf"));
            letter->export_to(no);
            QTRY_VERIFY2_WITH_TIMEOUT(test::says(*letter, says), qPrintable(bad), 20000);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
            QVERIFY(!QFile::exists(no));
        }
        // A figure typed by hand is pointed out.
        words->set_words(QStringLiteral("It was 11° last time, {name}."));
        QVERIFY(letter->findChild<QLabel*>(QStringLiteral("problem")));
        b.window->letter()->findChild<QTabWidget*>(QStringLiteral("letterTabs"))->setCurrentIndex(1);
        QVERIFY(test::says(*letter, QStringLiteral("11°")));
        QCOMPARE(ui::typed_figures(QStringLiteral("3 times a day, 20 % and 4,5 cm, {figure 3 a/b}")),
                 (QStringList{QStringLiteral("20 %"), QStringLiteral("4,5 cm")}));
        // Copied and pasted it stays a field.
        words->set_words(QStringLiteral("a {name} b"));
        words->selectAll();
        words->copy();
        QCOMPARE(QGuiApplication::clipboard()->text(), QStringLiteral("a {name} b"));
        words->set_words(QString());
        words->paste();
        QCOMPARE(words->words(), QStringLiteral("a {name} b"));
    }

    void a_correction_that_is_no_longer_so_is_not_sent_in_silence() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(two_);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        ui::LetterOrder order;
        order.open = b.window->review()->state().open;
        order.movements = b.session.movements.now();
        order.record.clip = two_;
        const Finding f = order.open->review->findings.front();
        order.record.checks = {FindingKey::of(f).text()};
        QVERIFY(ui::compose(order, *b.session.library, b.session.catalogue));
        order.record.checks = {"no_longer.high/left"};
        const auto no = ui::compose(order, *b.session.library, b.session.catalogue);
        QVERIFY(!no && no.error().code == Code::no_longer_so);
        QVERIFY(ui::text::error(no.error()).contains(QStringLiteral("Look at it in the review")));
        order.record.checks.clear();
        order.record.praise = "better:no_longer/left";
        QVERIFY(!ui::compose(order, *b.session.library, b.session.catalogue));
    }

    void what_became_of_a_letter_is_said_once() {
        Bench b(copy_.demo);
        open_letter(b, two_);
        auto* letter = b.window->letter();
        letter->findChild<ui::FieldEdit*>(QStringLiteral("opening"))->set_words(QStringLiteral("Dear {name},"));
        letter->findChild<QTabWidget*>(QStringLiteral("letterTabs"))->setCurrentIndex(2);
        for (auto* a : letter->findChild<QMenu*>(QStringLiteral("howSent"))->actions())
            if (a->text() == QStringLiteral("by mail")) a->trigger();
        QTRY_VERIFY_WITH_TIMEOUT(
            !b.session.library->letters().of(two_)->empty() && b.session.library->letters().of(two_)->front().how == "mail", 20000);
        QTRY_VERIFY_WITH_TIMEOUT(
            letter->findChild<QLabel*>(QStringLiteral("letterStatus"))->text().startsWith(QStringLiteral("Sent by mail")), 30000);
        const auto lines = *b.session.library->letters().lines(b.session.library->clips().get(two_)->person);
        QVERIFY(
            std::any_of(lines.begin(), lines.end(), [&](const LetterLine& l) { return l.clip == two_ && l.state == LetterState::sent; }));
        // The mail program is handed the file; nothing is sent by Bevel.
        const QString told = copy_.dir.filePath(QStringLiteral("mail.txt")), program = copy_.dir.filePath(QStringLiteral("mailer"));
        QFile script(program);
        QVERIFY(script.open(QIODevice::WriteOnly));
        script.write(QStringLiteral("#!/bin/sh\nfor a in \"$@\"; do echo \"$a\"; done > %1.part\nmv %1.part %1\n").arg(told).toUtf8());
        script.close();
        script.setPermissions(QFile::ReadOwner | QFile::WriteOwner | QFile::ExeOwner);
        qputenv("BEVEL_MAIL", program.toUtf8());
        letter->findChild<QPushButton*>(QStringLiteral("openMail"))->click();
        if (!QTest::qWaitFor([&] { return QFile::exists(told); }, 30000))
            for (const auto* l : letter->findChildren<QLabel*>())
                if (l->isVisible()) qWarning("%s", qPrintable(l->text()));
        QVERIFY(QFile::exists(told));
        QFile f(told);
        QVERIFY(f.open(QIODevice::ReadOnly));
        const QStringList arguments = QString::fromUtf8(f.readAll()).split(QLatin1Char('\n'));
        const auto at = arguments.indexOf(QStringLiteral("--attach"));
        QVERIFY(at > 0 && QFileInfo(arguments[at + 1]).size() > 10000);
        qunsetenv("BEVEL_MAIL");
    }

    /// What a record from elsewhere brings as an address or as a letter does nothing but be one.
    void what_came_from_elsewhere_does_nothing() {
        for (const char* good : {"ana@example.org", "a.b+c@mail.example", "jo_2@x.y.z", "jürgen@häuser.example"})
            QVERIFY2(ui::is_plain_address(QString::fromUtf8(good)), good);
        for (const char* bad : {"-attach=/etc/passwd@x.y", "--help", "a@b?bcc=c@d", "a@b,c@d", "a b@c", "a@b&subject=x", "", "a@", "@b",
                                "a@b\n@c", "<a@b>", "mailto:a@b", "a%0Ab@c", "a@b;c@d", "a@b@c", "x/y@z", "a\"b@c"})
            QVERIFY2(!ui::is_plain_address(QString::fromUtf8(bad)), bad);
        QVERIFY(!ui::is_plain_address(QString(300, QLatin1Char('a')) + QStringLiteral("@b.c")));
        ui::Mail mail;
        mail.to = QStringLiteral("a@b?bcc=c@d");
        const auto r = ui::open_in_mail_program(mail);
        QVERIFY(!r && r.error().code == Code::bad_value);
        QVERIFY(ui::text::error(r.error()).contains(QLatin1String("no e-mail address")));
        const std::string evil = "<META HTTP-EQUIV=\"refresh\" content=\"0;url=http://x\"><script>alert(1)</script><p>Hello</p>";
        const auto calm = ui::harmless_html(evil);
        QVERIFY(calm.starts_with(
            "<!DOCTYPE html><meta charset=\"utf-8\"><meta http-equiv=\"Content-Security-Policy\" content=\"default-src 'none'"));
        const auto rest = calm.substr(calm.find("form-action"));
        QVERIFY(QString::fromStdString(rest).contains(QLatin1String("data-none=\"refresh\"")));
        QVERIFY(!QString::fromStdString(rest).contains(QLatin1String("http-equiv"), Qt::CaseInsensitive));
        QVERIFY(rest.find("<p>Hello</p>") != std::string::npos);
        QCOMPARE(ui::harmless_html("http-equi").find("http-equi", 200) != std::string::npos, true);
    }

    void templates_are_kept_without_figures() {
        Bench b(copy_.demo);
        open_letter(b, two_);
        ui::LetterTemplate t;
        t.id = QStringLiteral("own-mine");
        t.name = QStringLiteral("Mine");
        t.language = QStringLiteral("en");
        t.opening = QStringLiteral("Hello {name}!");
        t.closing = QStringLiteral("{me}");
        t.short_form = true;
        const auto back = ui::parse_template(ui::template_text(t));
        QVERIFY(back && back->opening == t.opening && back->short_form && back->own);
        for (const char* bad : {"", "{}", "[]", "{\"name\":\"\",\"language\":\"en\",\"opening\":\"\",\"closing\":\"\"}",
                                "{\"name\":3,\"language\":\"en\",\"opening\":\"\",\"closing\":\"\"}"})
            QVERIFY(!ui::parse_template({"x", bad}));
        QVERIFY(b.session.library->forms().keep(ui::template_text(t), Own::letter));
        open_letter(b, two_);
        auto* letter = b.window->letter();
        auto* choice = letter->findChild<QComboBox*>(QStringLiteral("template"));
        QCOMPARE(choice->findText(QStringLiteral("Mine")), 3);
        choice->setCurrentIndex(3);
        emit choice->activated(3);
        QCOMPARE(letter->findChild<ui::FieldEdit*>(QStringLiteral("opening"))->words(), t.opening);
        QVERIFY(letter->findChild<QCheckBox*>(QStringLiteral("shortForm"))->isChecked());
        letter->findChild<QPushButton*>(QStringLiteral("dropTemplate"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->forms().all(Own::letter)->empty(), 30000);
    }
};

QTEST_MAIN(TestEvening)
#include "test_evening.moc"
