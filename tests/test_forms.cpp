// Forms in the real window: found by name and kind, played from any side, with its phases, rules and faults.
#include "core/files.h"
#include "support/window_bench.h"
#include "ui/forms/course_view.h"
#include "ui/forms/floor_path_view.h"
#include "ui/forms/forms_page.h"
#include "ui/forms/schools_dialog.h"
#include "ui/paint/card.h"
#include <cmath>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFile>
#include <QFileInfo>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPointer>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QSlider>
#include <QSpinBox>
#include <QTableWidget>
#include <QTabWidget>
#include <QTextBrowser>
#include <QToolButton>
#include <QUndoStack>

using namespace bevel;
using test::Bench;

class TestForms : public QObject {
    Q_OBJECT
    test::Copy copy_;

    static ui::FormsPage* come(Bench& b) {
        b.window->show_place(b.window->place(QStringLiteral("forms")));
        return b.window->forms();
    }
    static bool drawn(ui::FormsPage* page) {
        return QTest::qWaitFor([&] { return page->figure().is_current(); }, 20000);
    }
    /// How much of the figure's view is darker than its paper, and where its middle is.
    static std::pair<double, double> figure_in(ui::FormsPage* page, double from, double to) {
        const QImage im = page->figure().grab().toImage().convertToFormat(QImage::Format_Grayscale8);
        double n = 0, x = 0;
        for (int y = 30; y < 0.6 * (im.height() - 100); ++y) // above its shadow
            for (int u = static_cast<int>(from * im.width()) + 2; u < to * im.width() - 2; ++u)
                if (im.constScanLine(y)[u] < 212) ++n, x += u; // paper and floor are lighter
        return {n / im.width() / im.height(), n > 0 ? x / n / im.width() : 0};
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_movement_is_changed_copied_taken_back_and_carried_in_a_file() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("gaze_at_the_moon"));
        auto find = [&](const char* name) { return page->findChild<QPushButton*>(QLatin1String(name)); };
        auto shown = [&] { return b.session.movement(page->shown().toStdString()); };
        auto in_library = [&] { return b.session.library->forms().all()->size(); };
        auto* tabs = page->findChild<QTabWidget*>(QStringLiteral("formTabs"));
        tabs->setCurrentIndex(3);
        QVERIFY(!find("resetForm")->isEnabled()); // as shipped
        // A phase takes longer: the figure takes longer too; undone and done again.
        const double before = page->figure().duration();
        auto* seconds = page->findChild<QDoubleSpinBox*>(QStringLiteral("formSeconds"));
        const double was = seconds->value();
        seconds->setValue(was + 1.5);
        QVERIFY(shown()->own && std::abs(shown()->phases[0].duration_s - was - 1.5) < 1e-9);
        QVERIFY(page->figure().duration() > before + 2.9); // once on each side
        QTRY_COMPARE_WITH_TIMEOUT(in_library(), std::size_t{1}, 20000);
        page->undo().undo();
        QVERIFY(!shown()->own && std::abs(page->figure().duration() - before) < 1e-6);
        QTRY_COMPARE_WITH_TIMEOUT(in_library(), std::size_t{0}, 20000);
        page->undo().redo();
        QVERIFY(shown()->own && find("resetForm")->isEnabled());
        // A band with its reason; without one it is refused at the field, and nothing changes.
        auto* check = page->findChild<QComboBox*>(QStringLiteral("formCheck"));
        check->setCurrentIndex(check->findData(QStringLiteral("upright_side")) >= 0 ? check->findData(QStringLiteral("upright_side")) : 0);
        const std::string id = check->currentData().toString().toStdString();
        auto* high = page->findChild<QDoubleSpinBox*>(QStringLiteral("formHigh"));
        auto* reason = page->findChild<QLineEdit*>(QStringLiteral("formReason"));
        if (!high->isEnabled()) high = page->findChild<QDoubleSpinBox*>(QStringLiteral("formLow"));
        reason->clear();
        const double asked = high->value() + high->singleStep() * 3;
        high->setValue(asked);
        find("formSetBand")->click();
        QVERIFY(test::says(*b.window, QStringLiteral("Say why")));
        QVERIFY(shown()->bands.empty() || shown()->bands.back().check != id);
        reason->setText(QStringLiteral("The hall is small"));
        high->setValue(asked);
        find("formSetBand")->click();
        QVERIFY(!shown()->bands.empty() && shown()->bands.back().check == id && shown()->bands.back().reason == "The hall is small");
        const auto& checks = shown()->checks;
        QVERIFY(std::any_of(checks.begin(), checks.end(), [&](const Check& c) {
            return c.id.starts_with(id) && c.reason == "The hall is small" && c.stack.back().level == BandLevel::movement;
        }));
        QVERIFY(page->findChild<QTextBrowser*>(QStringLiteral("rulesOfForm"))->toPlainText().contains(QStringLiteral("The hall is small")));
        // Its words.
        auto* name = page->findChild<QLineEdit*>(QStringLiteral("formName"));
        name->setText(QStringLiteral("Moon over the Quay"));
        emit name->editingFinished();
        QCOMPARE(shown()->name, std::string("Moon over the Quay"));
        auto* list = page->findChild<QListWidget*>(QStringLiteral("forms"));
        QVERIFY(list->currentItem()->text().startsWith(QStringLiteral("Moon over the Quay")));
        name->clear();
        emit name->editingFinished(); // no name: said, and not taken
        QVERIFY(test::says(*b.window, QStringLiteral("That cannot be: name")));
        QCOMPARE(shown()->name, std::string("Moon over the Quay"));
        // A copy is a movement beside it.
        const auto count = b.session.movements.size();
        find("copyForm")->click();
        QCOMPARE(b.session.movements.size(), count + 1);
        QCOMPARE(page->shown(), QStringLiteral("gaze_at_the_moon_own"));
        QCOMPARE(shown()->name, std::string("Moon over the Quay, my way"));
        QVERIFY(find("resetForm")->text() == QStringLiteral("Delete it"));
        // Out to a file, deleted, and in again.
        QTemporaryDir out;
        const QString file = out.filePath(QStringLiteral("moon.json"));
        page->write_form(file);
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(file), 20000);
        find("resetForm")->click();
        QCOMPARE(b.session.movements.size(), count);
        page->read_form(file);
        QTRY_COMPARE_WITH_TIMEOUT(b.session.movements.size(), count + 1, 20000);
        // A damaged one is refused with the place.
        QFile damaged(out.filePath(QStringLiteral("bad.json")));
        QVERIFY(damaged.open(QIODevice::WriteOnly));
        QFile good(file);
        QVERIFY(good.open(QIODevice::ReadOnly));
        damaged.write(good.readAll().replace("duration_s", "duration"));
        damaged.close();
        page->read_form(damaged.fileName());
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*b.window, QStringLiteral("That is no movement Bevel can read")), 20000);
        // It is there at the next start, and the shipped one is not lost.
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        const auto own = *b.session.library->forms().all();
        QCOMPARE(own.size(), std::size_t{2});
        const auto again = with_own(load_movements(test::data_dir()), own);
        QVERIFY(std::any_of(again.begin(), again.end(),
                            [](const Movement& m) { return m.id == "gaze_at_the_moon" && m.name == "Moon over the Quay"; }));
        page->show_movement(QStringLiteral("gaze_at_the_moon"));
        find("resetForm")->click();
        QCOMPARE(shown()->name, test::movement("gaze_at_the_moon").name);
        page->show_movement(QStringLiteral("gaze_at_the_moon_own"));
        find("resetForm")->click();
        QTRY_COMPARE_WITH_TIMEOUT(in_library(), std::size_t{0}, 20000);
        // What a newer program wrote is left out, said, and kept.
        std::vector<Error> problems;
        const auto without = with_own(b.session.shipped, {{"strange", "{\"id\": \"strange\", \"hologram\": true}"}}, &problems);
        QVERIFY(without.size() == b.session.shipped.size() && problems.size() == 1);
    }
    /// Movements one after another, made, put in order, undone, kept, carried in a file, and shown with their way over the floor.
    void a_form_is_made_changed_and_carried_in_a_file() {
        const QString file = copy_.dir.filePath(QStringLiteral("form.json"));
        QString id;
        {
            Bench b(copy_.demo);
            auto* page = come(b);
            auto find = [&](const char* name) { return page->findChild<QPushButton*>(QLatin1String(name)); };
            auto form = [&] { return b.session.forms().form(page->shown().toStdString()); };
            auto box = [&](const char* name) { return page->findChild<QComboBox*>(QLatin1String(name)); };
            auto choose = [&](const char* name, const QVariant& data) {
                auto* c = box(name);
                const int at = c->findData(data);
                QVERIFY2(at >= 0, name);
                c->setCurrentIndex(at);
                emit c->activated(at);
            };
            page->show_movement(QStringLiteral("walk_forward"));
            find("newLinked")->click();
            id = page->shown();
            QVERIFY(id.startsWith(QStringLiteral("form:")) && form() && form()->own && form()->parts.size() == 1);
            QCOMPARE(form()->parts[0].movement, std::string("walk_forward"));
            auto* parts = page->findChild<QListWidget*>(QStringLiteral("linkedParts"));
            QVERIFY(parts->isVisible());
            // Another after it, led by the other side, after a turn.
            choose("addPart", QStringLiteral("push_and_sit_back"));
            find("addPartNow")->click();
            QCOMPARE(form()->parts.size(), 2U);
            QCOMPARE(parts->currentRow(), 1);
            choose("partSide", 1);
            page->findChild<QSpinBox*>(QStringLiteral("partTurn"))->setValue(-45);
            page->findChild<QDoubleSpinBox*>(QStringLiteral("partPace"))->setValue(150);
            QVERIFY(form()->parts[1].side == Side::right && form()->parts[1].turn == -45 && form()->parts[1].pace == 1.5);
            find("partTwice")->click();
            QCOMPARE(form()->parts.size(), 3U);
            QVERIFY(form()->parts[2].side == Side::left && form()->parts[2].turn == 0);
            find("partUp")->click();
            QVERIFY(form()->parts[1].side == Side::left && parts->currentRow() == 1);
            page->undo().undo();
            QVERIFY(form()->parts[2].side == Side::left);
            page->undo().redo();
            QVERIFY(form()->parts[1].side == Side::left);
            auto* name = page->findChild<QLineEdit*>(QStringLiteral("linkedName"));
            name->setText(QStringLiteral("<b>Three</b> at the Quay"));
            emit name->editingFinished();
            QCOMPARE(form()->name, std::string("<b>Three</b> at the Quay"));
            auto* list = page->findChild<QListWidget*>(QStringLiteral("forms"));
            QVERIFY(list->currentItem()->text().startsWith(QStringLiteral("<b>Three</b> at the Quay")));
            // A name that is none changes nothing, and is said.
            name->clear();
            emit name->editingFinished();
            QVERIFY(test::says(*b.window, QStringLiteral("That cannot be: name")));
            QCOMPARE(form()->name, std::string("<b>Three</b> at the Quay"));
            // The figure does all of it, and the table names the parts.
            auto* rows = page->findChild<QTableWidget*>(QStringLiteral("phases"));
            QTRY_COMPARE_WITH_TIMEOUT(rows->rowCount(), 3, 20000);
            QTRY_VERIFY_WITH_TIMEOUT(page->figure().duration() > 12, 20000);
            page->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(1);
            rows->setCurrentCell(2, 0);
            QCOMPARE(page->figure().part(), 2);
            auto* floor = page->findChild<ui::FloorPathView*>(QStringLiteral("floorPath"));
            QVERIFY(floor->isVisible());
            const auto told = floor->spoken();
            QVERIFY(told.size() >= 2 && told[0].name.startsWith(QStringLiteral("1. ")));
            QTest::mouseClick(floor, Qt::LeftButton, {}, told[0].at.center());
            QVERIFY(page->figure().time() > 0);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 30000);
            find("practiseForm")->click();
            QVERIFY(b.window->practice()->isVisible());
            QCOMPARE(b.window->practice()->findChild<QComboBox*>(QStringLiteral("planForm"))->currentData().toString(), id.mid(5));
            come(b);
            page->show_movement(id);
            page->write_form(file);
            QTRY_VERIFY_WITH_TIMEOUT(QFileInfo::exists(file), 30000);
            QTRY_VERIFY_WITH_TIMEOUT(b.copies.idle(), 30000);
            const QString card = copy_.dir.filePath(QStringLiteral("form.html"));
            page->write_card(card);
            QTRY_VERIFY_WITH_TIMEOUT(QFileInfo::exists(card), 30000);
            QTRY_VERIFY_WITH_TIMEOUT(b.copies.idle(), 30000);
            const auto html = read_text(card.toStdString(), 32U << 20U);
            QVERIFY(html && html->find("&lt;b&gt;Three&lt;/b&gt; at the Quay") != std::string::npos);
            QVERIFY(html->find("<b>Three") == std::string::npos);
        }
        // It is there after a restart; deleted, it comes back from its file.
        Bench b(copy_.demo);
        auto* page = come(b);
        QVERIFY(b.session.forms().form(id.toStdString()));
        page->show_movement(id);
        auto* reset = page->findChild<QPushButton*>(QStringLiteral("resetLinked"));
        QCOMPARE(reset->text(), QStringLiteral("Delete it"));
        reset->click();
        QVERIFY(!b.session.forms().form(id.toStdString()));
        QVERIFY(!page->shown().isEmpty() && page->shown() != id); // another one is shown
        page->read_form(file);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.forms().form(id.toStdString()), 30000);
        QCOMPARE(b.session.forms().form(id.toStdString())->parts.size(), 3U);
        page->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(3);
        // What cannot be a form says what is wrong, and changes nothing.
        for (const auto& [text, words] :
             {std::pair{QByteArray(R"({"id":"x","name":"X","parts":[]})"), "That is no form Bevel can read"},
              {QByteArray(R"({"id":"x","name":"X","parts":[{"movement":"no_such"}]})"), "That cannot be done"}}) {
            QFile f(copy_.dir.filePath(QStringLiteral("bad.json")));
            QVERIFY(f.open(QIODevice::WriteOnly | QIODevice::Truncate) && f.write(text) > 0);
            f.close();
            page->read_form(f.fileName());
            QTRY_VERIFY2_WITH_TIMEOUT(test::says(*b.window, QLatin1String(words)), words, 30000);
            QVERIFY(!b.session.forms().form("form:x"));
        }
        QVERIFY(b.session.library->forms().drop(id.mid(5).toStdString(), Own::linked).has_value());
    }
    void a_school_is_copied_changed_and_carried_in_a_file() {
        const QString file = copy_.dir.filePath(QStringLiteral("school.json"));
        {
            Bench b(copy_.demo);
            auto* page = come(b);
            page->show_movement(QStringLiteral("part_the_horses_mane"));
            page->show_schools();
            auto* dialog = page->findChild<ui::SchoolsDialog*>();
            QVERIFY(dialog);
            auto* list = dialog->findChild<QListWidget*>(QStringLiteral("schoolList"));
            QCOMPARE(list->count(), static_cast<int>(b.session.shipped_schools.size()));
            auto press = [&](const char* name) { dialog->findChild<QPushButton*>(QLatin1String(name))->click(); };
            for (int i = 0; i < list->count(); ++i)
                if (list->item(i)->data(Qt::UserRole).toString() == QLatin1String("inclined")) list->setCurrentRow(i);
            auto* changes = dialog->findChild<QTableWidget*>(QStringLiteral("schoolChanges"));
            QCOMPARE(changes->rowCount(), static_cast<int>(b.session.school("inclined")->changes.size()));
            QVERIFY(changes->item(0, 0)->text().contains(QStringLiteral("10"))); // a sentence with its band
            QVERIFY(!dialog->findChild<QPushButton*>(QStringLiteral("schoolReset"))->isEnabled());
            press("schoolCopy");
            QVERIFY(b.session.school("inclined_own") && b.session.school("inclined_own")->own);
            // A band of its own needs a reason.
            changes->setCurrentCell(0, 0);
            dialog->findChild<QDoubleSpinBox*>(QStringLiteral("schoolHigh"))->setValue(24);
            auto* reason = dialog->findChild<QLineEdit*>(QStringLiteral("schoolReason"));
            reason->clear();
            press("schoolSet");
            QVERIFY(test::says(*dialog, QStringLiteral("Say why")));
            QVERIFY(*b.session.school("inclined_own")->changes[0].high == 30);
            reason->setText(QStringLiteral("Our hall leans less."));
            press("schoolSet");
            QVERIFY(*b.session.school("inclined_own")->changes[0].high == 24);
            QVERIFY(b.session.school("inclined_own")->changes[0].lean.has_value()); // the figure still leans
            // It judges: the movement's lean in that school.
            Movement m = *b.session.movement("part_the_horses_mane");
            apply(m, b.session.school("inclined_own")->changes, BandLevel::school);
            QVERIFY(std::any_of(m.checks.begin(), m.checks.end(), [](const Check& c) {
                return c.measure == "trunk.lean" && c.high && *c.high == 24 && c.reason == "Our hall leans less.";
            }));
            dialog->write_school(file);
            QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(file), 20000);
            // A low end above the high one is said, and nothing changes.
            changes->setCurrentCell(0, 0);
            dialog->findChild<QDoubleSpinBox*>(QStringLiteral("schoolLow"))->setValue(60);
            press("schoolSet");
            QVERIFY(test::says(*dialog, QStringLiteral("That cannot be")));
            QVERIFY(*b.session.school("inclined_own")->changes[0].low == 10);
            // A new one, taken out again; undone and done again with the place's own undo.
            const auto n = b.session.school("inclined_own")->changes.size();
            reason->setText(QStringLiteral("Tried out."));
            dialog->findChild<QDoubleSpinBox*>(QStringLiteral("schoolLow"))->setValue(5);
            press("schoolAdd");
            QCOMPARE(b.session.school("inclined_own")->changes.size(), n + 1);
            page->undo().undo();
            QCOMPARE(b.session.school("inclined_own")->changes.size(), n);
            QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().all(Own::school)->size(), std::size_t{1}, 20000);
            press("schoolReset"); // it did not come with the program: it goes
            QVERIFY(!b.session.school("inclined_own"));
            dialog->read_school(file);
            QTRY_VERIFY_WITH_TIMEOUT(b.session.school("inclined_own"), 20000);
            QFile f(file);
            QVERIFY(f.open(QIODevice::WriteOnly | QIODevice::Truncate));
            f.write(
                "{\"id\": \"x\", \"name\": \"X\", \"about\": \"\", \"changes\": [{\"stance\": \"heron\", \"low\": 1, \"reason\": \"r\"}]}");
            f.close();
            dialog->read_school(file);
            QTRY_VERIFY_WITH_TIMEOUT(test::says(*dialog, QStringLiteral("heron")), 20000);
            QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().all(Own::school)->size(), std::size_t{1}, 20000);
        }
        Bench b(copy_.demo); // and after a restart
        QVERIFY(b.session.school("inclined_own") && *b.session.school("inclined_own")->changes[0].high == 24);
        QVERIFY(b.session.library->forms().drop("inclined_own", Own::school).has_value());
    }
    void why_shows_the_fault_beside_the_right_one() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(1);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        QPointer<QToolButton> why = b.window->review()->findChild<QToolButton*>(QStringLiteral("why"));
        QVERIFY(why);
        QTest::mouseClick(why.data(), Qt::LeftButton);
        auto* show = b.window->review()->findChild<QPushButton*>(QStringLiteral("showMe"));
        QVERIFY(show);
        show->click();
        QVERIFY(b.window->forms()->isVisible());
        auto* page = b.window->forms();
        QCOMPARE(page->shown().toStdString(), b.window->review()->state().open->review->movement.id);
        QVERIFY(page->findChild<QComboBox*>(QStringLiteral("fault"))->currentIndex() > 0);
        QVERIFY(drawn(page));
        QVERIFY(figure_in(page, 0, 0.5).first > 0.005 && figure_in(page, 0.5, 1).first > 0.005); // two figures
    }
    void the_role_of_a_phase_is_what_rules_speak_of() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("opening_rise_and_sink"));
        page->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(3);
        const auto checks = [&] { return b.session.movement("opening_rise_and_sink")->checks.size(); };
        const auto before = checks();
        auto* role = page->findChild<QComboBox*>(QStringLiteral("formRole"));
        QCOMPARE(role->currentData().toString().toStdString(), b.session.movement("opening_rise_and_sink")->phases[0].role);
        role->setCurrentIndex(0);
        emit role->activated(0);
        QVERIFY(b.session.movement("opening_rise_and_sink")->phases[0].role.empty());
        QVERIFY(checks() <= before);
        page->undo().undo();
        QCOMPARE(checks(), before);
        QVERIFY(!b.session.movement("opening_rise_and_sink")->phases[0].role.empty());
    }
    void movements_are_found_by_any_name_kind_and_what_they_ask() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* list = page->findChild<QListWidget*>(QStringLiteral("forms"));
        auto* search = page->findChild<QLineEdit*>(QStringLiteral("searchForms"));
        QCOMPARE(list->count(), static_cast<int>(b.session.movements.size() + b.session.faces.size()));
        QVERIFY(list->count() >= 21);
        // By its English name, by pinyin with and without the tones, whatever the case.
        for (const char* words : {"crane spreads", "BÁI HÈ", "bai he liang"}) {
            search->setText(QString::fromUtf8(words));
            QCOMPARE(list->count(), 1);
            QCOMPARE(page->shown(), QStringLiteral("crane_spreads"));
        }
        search->setText(QStringLiteral("nothing like that"));
        QCOMPARE(list->count(), 0);
        search->clear();
        auto choose = [&](const char* box, const QVariant& data) {
            auto* c = page->findChild<QComboBox*>(QLatin1String(box));
            c->setCurrentIndex(c->findData(data));
        };
        choose("trains", QStringLiteral("balance"));
        choose("asks", 2); // easy on the balance
        for (int i = 0; i < list->count(); ++i) {
            const auto m = b.session.movement(list->item(i)->data(Qt::UserRole).toString().toStdString());
            QVERIFY(m && m->asks.balance <= 1 && std::find(m->trains.begin(), m->trains.end(), "balance") != m->trains.end());
        }
        QVERIFY(list->count() >= 1 && list->count() < 6);
        choose("trains", QString());
        choose("asks", 0);
        choose("kind", QStringLiteral("tai chi"));
        for (int i = 0; i < list->count(); ++i)
            QCOMPARE(b.session.movement(list->item(i)->data(Qt::UserRole).toString().toStdString())->kind, std::string("tai chi"));
        choose("kind", QString());
    }
    void a_card_shows_each_phase_with_its_feet_and_words() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("part_the_horses_mane"));
        const auto m = test::movement("part_the_horses_mane");
        const auto pictures = ui::phase_pictures(m, 216, 380);
        QCOMPARE(pictures.size(), m.phases.size());
        // The feet from above: in the bow they are further apart, along the way they face, than at the end.
        auto tall = [](const QImage& im) {
            int first = im.height(), last = 0;
            for (int y = im.height() - 108; y < im.height(); ++y)
                for (int x = 0; x < im.width(); ++x)
                    if (qGray(im.pixel(x, y)) < 120) first = std::min(first, y), last = std::max(last, y);
            return last - first;
        };
        std::size_t bow = 0;
        while (m.phases[bow].id != "settle") ++bow;
        QVERIFY2(tall(pictures[bow]) > 1.6 * tall(pictures.back()),
                 qPrintable(QStringLiteral("%1 %2").arg(tall(pictures[bow])).arg(tall(pictures.back()))));
        QTemporaryDir out;
        const QString html = out.filePath(QStringLiteral("card.html")), pdf = out.filePath(QStringLiteral("card.pdf"));
        page->write_card(html);
        page->write_card(pdf);
        QTRY_VERIFY_WITH_TIMEOUT(QFile::exists(pdf) && b.copies.idle(), 30000);
        QFile f(html);
        QVERIFY(f.open(QIODevice::ReadOnly));
        const QString text = QString::fromUtf8(f.readAll());
        QCOMPARE(text.count(QStringLiteral("<img ")), static_cast<int>(m.phases.size()));
        for (const auto& p : m.phases) QVERIFY(text.contains(QString::fromStdString(p.name).toHtmlEscaped()));
        QVERIFY(text.contains(QStringLiteral("breathe out")) && text.contains(QStringLiteral("follow the toes")));
        QProcess reader; // the PDF says the same
        reader.start(QStringLiteral("pdftotext"), {pdf, QStringLiteral("-")});
        QVERIFY(reader.waitForFinished(20000));
        const QString words = QString::fromUtf8(reader.readAllStandardOutput());
        QVERIFY(words.contains(QStringLiteral("Part the Horse")) && words.contains(QStringLiteral("breathe in")));
    }
    void the_course_shows_weight_breath_and_a_measure() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* course = page->findChild<ui::CourseView*>(QStringLiteral("course"));
        page->show_movement(QStringLiteral("brush_and_push"));
        QTRY_VERIFY_WITH_TIMEOUT(course->is_told(), 20000);
        auto* lane = page->findChild<QComboBox*>(QStringLiteral("formLane"));
        QVERIFY(lane->count() > 8);
        // The water is where the weight is: at the end of the shift of the left repetition seven tenths are on the left foot, whose share
        // hangs from the top.
        const auto m = b.session.movement("brush_and_push");
        double t = 3;
        for (const auto& p : m->phases) {
            t += p.duration_s;
            if (p.role == "settle") break;
        }
        const double from = 3, whole = 2 * m->duration_s();
        const QImage im = course->grab().toImage();
        const double ratio = im.devicePixelRatio();
        const auto x = static_cast<int>((6 + (t - from) / whole * (course->width() - 12)) * ratio);
        const QColor left = b.session.theme.side(Side::left), right = b.session.theme.side(Side::right);
        const auto nearer_left = [&](const QColor& c) {
            const auto off = [&](const QColor& k) { return std::abs(c.hueF() - k.hueF()); };
            return off(left) < off(right);
        };
        int of_left = 0, of_right = 0;
        for (int y = static_cast<int>(52 * ratio); y < static_cast<int>(90 * ratio); ++y) {
            const QColor c = im.pixelColor(x - 3, y);
            if (c.saturation() < 20) continue;
            ++(nearer_left(c) ? of_left : of_right);
        }
        QVERIFY2(of_left > of_right && of_right > 0, qPrintable(QString("%1 %2").arg(of_left).arg(of_right)));
        // Another measure, another picture; a click goes to that moment.
        const int turn = lane->findData(QStringLiteral("trunk.lean"));
        QVERIFY(turn >= 0);
        lane->setCurrentIndex(turn);
        QVERIFY(course->grab().toImage() != im);
        QTest::mouseClick(course, Qt::LeftButton, {}, QPoint(6 + (course->width() - 12) / 4, course->height() / 2));
        QVERIFY(std::abs(page->figure().time() - (from + whole / 4)) < 0.1);
    }
    void a_graded_version_is_shown_and_judged_as_itself() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("brush_and_push"));
        auto* way = page->findChild<QComboBox*>(QStringLiteral("formWay"));
        auto* phases = page->findChild<QTableWidget*>(QStringLiteral("phases"));
        auto* rules = page->findChild<QTextBrowser*>(QStringLiteral("rulesOfForm"));
        const int all = phases->rowCount();
        const QString length = b.session.catalogue.name(QStringLiteral("stance.length"));
        QVERIFY(rules->toPlainText().contains(length));
        way->setCurrentIndex(way->findData(QStringLiteral("Arms only")));
        QVERIFY(phases->rowCount() < all);
        QVERIFY(!rules->toPlainText().contains(length)); // no step, nothing to say of its length
        QVERIFY(drawn(page));
        // The next movement is shown as it is.
        page->show_movement(QStringLiteral("waist_arm_swing"));
        QVERIFY(way->currentData().toString().isEmpty());
    }
    void a_key_posture_is_changed_and_looked_at() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("opening_rise_and_sink"));
        page->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(3);
        auto* phase = page->findChild<QComboBox*>(QStringLiteral("formPhase"));
        const auto shown = [&] { return b.session.movement("opening_rise_and_sink"); };
        const auto number = [&](const char* name) { return page->findChild<QDoubleSpinBox*>(QLatin1String(name)); };
        phase->setCurrentIndex(1);
        emit phase->activated(1);
        QVERIFY(drawn(page));
        const double at = page->figure().time();
        auto* depth = number("posture_depth");
        const double was = shown()->phases[1].posture.depth;
        QCOMPARE(depth->value(), was);
        depth->setValue(was - 0.06);
        QVERIFY(shown()->own && std::abs(shown()->phases[1].posture.depth - was + 0.06) < 1e-9);
        QVERIFY(std::abs(page->figure().time() - at) < 1e-6); // the changed posture is what is looked at
        // A hand, by its height; then both taken back one by one.
        auto* y = number("posture_left_hand_y");
        const double hand = shown()->phases[1].posture.left_hand.y;
        y->setValue(hand + 0.2);
        QVERIFY(std::abs(shown()->phases[1].posture.left_hand.y - hand - 0.2) < 1e-9);
        page->undo().undo();
        page->undo().undo();
        QVERIFY(!shown()->own && shown()->phases[1].posture.depth == was);
        // A foot that would slide over the floor while it stands is refused in words, and nothing changes.
        auto* x = number("posture_left_foot_x");
        x->setValue(x->value() + 0.4);
        QVERIFY(!shown()->own);
        auto* problem = page->findChild<QLabel*>(QStringLiteral("formProblem"));
        QVERIFY2(problem->isVisible() && problem->text().contains(QStringLiteral("slides")), qPrintable(problem->text()));
        // Where the movement begins and ends has no time or breath of its own.
        phase->setCurrentIndex(phase->count() - 1);
        QVERIFY(!number("formSeconds")->isEnabled() && depth->isEnabled());
        QCOMPARE(depth->value(), shown()->home.depth);
    }
    void the_figure_plays_and_is_seen_from_every_side() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("draw_the_bow"));
        auto& figure = page->figure();
        QVERIFY(drawn(page));
        QVERIFY(figure_in(page, 0, 1).first > 0.02);
        // In the draw: the arm is out to the student's left, which is the picture's right from the front and its left from behind.
        page->findChild<QSlider*>(QStringLiteral("around"))->setValue(0);
        figure.set_time(3 + 2.0 + 2.6 + 0.3);
        QVERIFY(figure.phase().first >= 0 && figure.phase().second == Side::left);
        QVERIFY(drawn(page));
        const double front = figure_in(page, 0, 1).second;
        QTest::keyClick(page, Qt::Key_B);
        QVERIFY(drawn(page));
        QCOMPARE(std::abs(figure.azimuth()), 180.0);
        QTRY_VERIFY_WITH_TIMEOUT(figure_in(page, 0, 1).second < 0.5, 10000);
        QVERIFY2(front > 0.5, qPrintable(QString::number(front)));
        // Played, it goes on by itself and comes round; the phases go along.
        auto* play = page->findChild<QToolButton*>(QStringLiteral("playForm"));
        figure.set_time(3.2);
        play->click();
        QVERIFY(figure.plays());
        QTRY_VERIFY_WITH_TIMEOUT(figure.time() > 4.0, 10000);
        QTRY_VERIFY_WITH_TIMEOUT(figure.shown() > 2, 20000);
        play->click();
        QVERIFY(!figure.plays());
        auto* phases = page->findChild<QTableWidget*>(QStringLiteral("phases"));
        const auto m = b.session.movement("draw_the_bow");
        QCOMPARE(phases->rowCount(), static_cast<int>(m->phases.size()));
        phases->setCurrentCell(1, 0);
        QCOMPARE(figure.phase().first, 1);
        // Leaving the place stops it.
        play->click();
        b.window->show_place(0);
        QVERIFY(!figure.plays());
    }
    void a_fault_stands_beside_the_right_one() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("separate_the_clouds"));
        page->findChild<QSlider*>(QStringLiteral("around"))->setValue(90); // from the student's left: forward is to the left
        auto& figure = page->figure();
        figure.set_time(3 + 2.8 + 1.4 + 3.0);
        auto* fault = page->findChild<QComboBox*>(QStringLiteral("fault"));
        auto* size = page->findChild<QSlider*>(QStringLiteral("faultSize"));
        QVERIFY(!size->isEnabled());
        fault->setCurrentIndex(fault->findText(QStringLiteral("fault: leans forward")));
        QVERIFY(size->isEnabled());
        size->setValue(100);
        QVERIFY(drawn(page));
        // Both are there, and the upper half of the faulty one is further forward.
        QVERIFY(figure_in(page, 0, 0.5).first > 0.01 && figure_in(page, 0.5, 1).first > 0.01);
        auto top = [&](double from, double to) {
            const QImage im = figure.grab().toImage().convertToFormat(QImage::Format_Grayscale8);
            double n = 0, x = 0, feet = 0, k = 0;
            const int h = im.height() - 100;
            // The upper half of the figure against the lower one.
            int first = h, last = 0;
            for (int y = 30; y < h; ++y)
                for (int u = static_cast<int>(from * im.width()) + 4; u < to * im.width() - 4; ++u)
                    if (im.constScanLine(y)[u] < 170) first = std::min(first, y), last = std::max(last, y);
            const int split = (first + last) / 2;
            for (int y = 30; y < h; ++y)
                for (int u = static_cast<int>(from * im.width()) + 4; u < to * im.width() - 4; ++u)
                    if (im.constScanLine(y)[u] < 170) (y < split ? (++n, x += u) : (++k, feet += u));
            return x / n - feet / k;
        };
        QVERIFY2(top(0.5, 1) < top(0, 0.5) - 4, qPrintable(QStringLiteral("%1 %2").arg(top(0.5, 1)).arg(top(0, 0.5))));
        fault->setCurrentIndex(0);
        QVERIFY(!size->isEnabled());
        QVERIFY(drawn(page));
    }
    void the_words_are_those_of_the_movement_and_its_rules() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->show_movement(QStringLiteral("one_leg_stand"));
        const auto m = b.session.movement("one_leg_stand");
        const QString about = page->findChild<QTextBrowser*>(QStringLiteral("aboutForm"))->toPlainText();
        for (const auto& s : {m->name, m->about, m->attention[0], m->images[0], m->drills[0].name, m->versions[0].about})
            QVERIFY2(about.contains(QString::fromStdString(s)), s.c_str());
        QVERIFY(about.contains(QStringLiteral("chair or wall in reach")));
        auto* rules = page->findChild<QTextBrowser*>(QStringLiteral("rulesOfForm"));
        const QString own = rules->toPlainText();
        for (const auto& c : m->checks) {
            const QString name = b.session.catalogue.name(QString::fromStdString(c.measure));
            QVERIFY2(own.contains(name), c.id.c_str());
        }
        // A school's bands are said to be a school's.
        page->show_movement(QStringLiteral("part_the_horses_mane"));
        const QString before = rules->toPlainText();
        auto* school = page->findChild<QComboBox*>(QStringLiteral("formSchool"));
        school->setCurrentIndex(school->findData(QStringLiteral("inclined")));
        QVERIFY(rules->toPlainText() != before);
    }
};

QTEST_MAIN(TestForms)
#include "test_forms.moc"
