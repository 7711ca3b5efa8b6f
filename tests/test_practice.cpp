// Practice in the real window: planning by mouse and keys, a run at sixty times its speed, the log, and what is exported, read again.
#include "core/files.h"
#include "core/form/pieces.h"
#include "core/practice/gate.h"
#include "media/clip.h"
#include "media/sound.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/practice/needs_form.h"
#include "ui/text/practice_words.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTableView>
#include <QTabWidget>

using namespace bevel;
using test::Bench;

class TestPractice : public QObject {
    Q_OBJECT
    test::Copy copy_;

    ui::PracticePage* come(Bench& b) {
        b.window->show_place(b.window->place(QStringLiteral("practice")));
        auto* page = b.window->practice();
        if (!QTest::qWaitFor([&] { return !page->plan().items.empty(); }, 30000)) qFatal("no plan");
        return page;
    }
    static void propose(ui::PracticePage* page) {
        auto* button = page->findChild<QPushButton*>(QStringLiteral("propose"));
        if (!QTest::qWaitFor([&] { return button->isEnabled(); }, 30000)) qFatal("still at the one before");
        QSignalSpy planned(page, &ui::PracticePage::planned);
        QTest::mouseClick(button, Qt::LeftButton);
        if (!planned.wait(30000)) qFatal("not planned");
    }
    static QString read(const QString& file) {
        QFile f(file);
        return f.open(QIODevice::ReadOnly) ? QString::fromUtf8(f.readAll()) : QString();
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_session_is_planned_by_mouse_and_keys() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(16);
        page->findChild<QCheckBox*>(QStringLiteral("planUnsteady"))->click();
        propose(page);
        QCOMPARE(page->plan().minutes, 16.0);
        QVERIFY(std::abs(page->plan().total_s() - 960) <= 30);
        for (const auto& i : page->plan().items) QVERIFY(!i.support); // no balance on such a day
        auto* list = page->findChild<QListWidget*>(QStringLiteral("plan"));
        QCOMPARE(list->count(), static_cast<int>(page->plan().items.size()));
        QVERIFY(test::says(*page, QStringLiteral("of 16 minutes")));
        // Later and earlier by keys; undone.
        list->setCurrentRow(1);
        const std::string first = page->plan().items[1].movement, second = page->plan().items[2].movement;
        QTest::keyClick(list, Qt::Key_Down, Qt::AltModifier);
        QCOMPARE(page->plan().items[1].movement, second);
        QCOMPARE(page->plan().items[2].movement, first);
        page->undo().undo();
        QCOMPARE(page->plan().items[1].movement, first);
        // Repeats: uneven ones are pointed out.
        int sided = -1;
        for (int k = 0; k < list->count(); ++k)
            if (page->plan().items[static_cast<std::size_t>(k)].left > 0) sided = k;
        QVERIFY(sided > 0);
        list->setCurrentRow(sided);
        page->findChild<QSpinBox*>(QStringLiteral("planLeft"))->setValue(5);
        QCOMPARE(page->plan().items[static_cast<std::size_t>(sided)].left, 5);
        QVERIFY(test::says(*page, QStringLiteral("left and right are not even")));
        page->findChild<QSpinBox*>(QStringLiteral("planRight"))->setValue(5);
        QVERIFY(!test::says(*page, QStringLiteral("left and right are not even")));
        // Locked it stays when another session is proposed.
        QTest::mouseClick(page->findChild<QPushButton*>(QStringLiteral("planLock")), Qt::LeftButton);
        const std::string kept = page->plan().items[static_cast<std::size_t>(sided)].movement;
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(12);
        propose(page);
        bool there = false;
        for (const auto& i : page->plan().items) there = there || (i.movement == kept && i.left == 5 && i.locked);
        QVERIFY(there);
        // Taken out by the key.
        const auto before = page->plan().items.size();
        list->setCurrentRow(2);
        QTest::keyClick(list, Qt::Key_Delete);
        QCOMPARE(page->plan().items.size(), before - 1);
        page->undo().undo();
        QCOMPARE(page->plan().items.size(), before);
    }

    void limits_and_letters_of_the_person_are_kept_to() {
        Bench b(copy_.demo);
        const auto people = b.session.library->people().all().value();
        const auto person = people.front().id;
        Agreement a;
        a.person = person;
        a.check = "limit.no_balance";
        a.off = true;
        a.reason = "as agreed";
        QVERIFY(b.session.library->decisions().save_agreement(a));
        b.window->show_place(b.window->place(QStringLiteral("practice")));
        auto* page = b.window->practice();
        ui::Ref ref;
        ref.person = person;
        page->open(ref);
        QTRY_COMPARE_WITH_TIMEOUT(page->form()->person(), person, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(page->form()->needs().limits.contains("no_balance"), 20000);
        page->form()->add_wanted("one_leg_stand");
        propose(page);
        // In the one way that asks for no balance, and it is said.
        bool said = false;
        for (const auto& i : page->plan().items) {
            if (i.movement != "one_leg_stand") continue;
            QCOMPARE(i.version, std::string("Toe stays down"));
            said = said || std::any_of(i.why.begin(), i.why.end(), [](const PlanReason& r) { return r.code == PlanReason::Code::gentler; });
        }
        QVERIFY(said);
        // What has no such way stays out, whoever puts it in; with a reason it is let in, and the pacer asks once more.
        auto* view = page->findChild<ui::PlanView*>();
        view->insert("turn_on_one_foot", 1);
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("it was agreed so")), 30000);
        QCOMPARE(view->barred_rows(), std::vector<int>{1});
        QVERIFY(!page->run_now());
        QVERIFY(test::says(*page, QStringLiteral("Not today")));
        const QString sheet = copy_.dir.filePath(QStringLiteral("barred.html"));
        page->export_to(sheet); // nor does it leave the program so
        QVERIFY(!QFileInfo::exists(sheet));
        view->let_in(1, QStringLiteral("I stand beside."));
        page->export_to(sheet);
        QTRY_VERIFY_WITH_TIMEOUT(read(sheet).contains(QStringLiteral("I stand beside.")), 20000);
        QVERIFY(view->barred_rows().empty());
        QCOMPARE(page->plan().items[1].let_in, std::string("I stand beside."));
        const auto again = parse_plan(plan_text(page->plan()));
        QVERIFY(again && again->items[1].let_in == "I stand beside.");
    }

    void a_group_is_kept_to_what_any_of_them_may_do() {
        Bench b(copy_.demo);
        auto* page = b.window->practice();
        b.window->show_place(b.window->place(QStringLiteral("practice")));
        auto* group = page->findChild<QListWidget*>(QStringLiteral("planGroup"));
        QTRY_VERIFY_WITH_TIMEOUT(group->count() >= 5, 20000);
        // Two people, each with a limit of their own.
        std::array<qint64, 2> ids{group->item(0)->data(Qt::UserRole).toLongLong(), group->item(1)->data(Qt::UserRole).toLongLong()};
        Agreement a;
        a.person = ids[0];
        a.check = "limit.no_balance";
        a.off = true;
        a.reason = "for the test";
        QVERIFY(b.session.library->decisions().save_agreement(a).has_value());
        a.person = ids[1];
        a.check = "limit.no_overhead";
        QVERIFY(b.session.library->decisions().save_agreement(a).has_value());
        auto* person = page->findChild<QComboBox*>(QStringLiteral("planPerson"));
        person->setCurrentIndex(person->findData(qint64{0}));
        emit person->activated(0);
        QVERIFY(group->isVisible());
        group->item(0)->setCheckState(Qt::Checked);
        QTRY_VERIFY_WITH_TIMEOUT(page->form()->needs().limits.contains("no_balance"), 20000);
        QVERIFY(!page->form()->needs().limits.contains("no_overhead"));
        group->item(1)->setCheckState(Qt::Checked);
        QTRY_VERIFY_WITH_TIMEOUT(page->form()->needs().limits.contains("no_overhead"), 20000);
        QVERIFY(page->form()->needs().limits.contains("no_balance"));
        // Whose limit it is stands there.
        QTRY_VERIFY_WITH_TIMEOUT(page->findChild<QLabel*>(QStringLiteral("planAsked"))->text().contains(QLatin1Char(':')), 30000);
        propose(page);
        for (const auto& i : page->plan().items) {
            const auto all = b.session.movements.now();
            const Movement* m = movement_of(i, *all);
            if (!m || i.part == PlanPart::settling) continue;
            const Traits t = traits_of(*m);
            QVERIFY2(!t.balance && !t.overhead, i.movement.c_str());
        }
        // One person by themselves is bound by their own alone.
        person->setCurrentIndex(person->findData(ids[0]));
        emit person->activated(person->currentIndex());
        QVERIFY(!group->isVisible());
        QTRY_VERIFY_WITH_TIMEOUT(page->form()->needs().limits.contains("no_balance"), 20000);
        QVERIFY(!page->form()->needs().limits.contains("no_overhead"));
    }
    void the_balance_ladder_is_climbed_one_step_at_a_time() {
        Bench b(copy_.demo);
        auto* page = b.window->practice();
        b.window->show_place(b.window->place(QStringLiteral("practice")));
        const std::vector<Person> people = b.session.library->people().all().value();
        PracticeLog log;
        log.person = people.back().id;
        log.day = "2026-11-26";
        log.minutes = 12;
        Plan plan;
        plan.minutes = 12;
        PlanItem i;
        i.movement = "one_leg_stand";
        i.ladder = 3;
        i.left = i.right = 2;
        plan.items = {i};
        log.plan = plan_text(plan);
        const auto step = [&] { return b.session.library->people().facts(log.person)->balance_step; };
        auto* view = page->findChild<ui::LogView*>();
        const auto dialog = [&] {
            view->add(log);
            return page->findChild<ui::LogDialog*>();
        };
        auto* d = dialog();
        QVERIFY(d);
        auto* ladder = d->findChild<QComboBox*>(QStringLiteral("logLadder"));
        QVERIFY(ladder && ladder->count() == 3 && ladder->currentData().toInt() == 3);
        ladder->setCurrentIndex(2);
        d->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Save)->click();
        QTRY_COMPARE_WITH_TIMEOUT(step(), 4, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(!page->findChild<ui::LogDialog*>(), 30000);
        // After pain it goes a step down by itself.
        d = dialog();
        auto* pain = d->findChild<QLineEdit*>(QStringLiteral("logPain"));
        pain->setText(QStringLiteral("left ankle"));
        emit pain->editingFinished();
        QCOMPARE(d->findChild<QComboBox*>(QStringLiteral("logLadder"))->currentData().toInt(), 2);
        d->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Save)->click();
        QTRY_COMPARE_WITH_TIMEOUT(step(), 2, 20000);
    }
    void what_comes_next_is_said_with_how_to_stand_for_it() {
        const auto movements = load_movements(test::data_dir());
        const auto words = [&](const Otherwise& next) {
            return ui::text::call_words({0, Tone::none, "set_up", otherwise_text(next)}, movements);
        };
        QCOMPARE(words({"gaze_at_the_moon", "", true}),
                 QStringLiteral("next: Gaze at the Moon, wide stance, the chair or the wall in reach"));
        QCOMPARE(words({"gaze_at_the_moon", "Seated", false}), QStringLiteral("next: Gaze at the Moon, Seated"));
        QVERIFY(words({"no such one", "", false}).startsWith(QStringLiteral("next: ")));
    }
    void both_sides_of_the_figure_stand_side_by_side() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(8);
        propose(page);
        auto* window = page->run_now();
        QVERIFY(window);
        double clock = 0;
        window->run().set_clock([&] { return clock; });
        window->run().start();
        const auto& t = window->run().pacer().timeline();
        const auto first =
            std::find_if(t.stretches.begin(), t.stretches.end(), [](const Stretch& s) { return s.kind == Stretch::Kind::repeat; });
        QVERIFY(first != t.stretches.end());
        clock = first->from_s + 1;
        window->run().tick();
        QTRY_VERIFY_WITH_TIMEOUT(!window->picture().figure.isNull(), 30000);
        const QImage one = window->picture().figure;
        window->findChild<QCheckBox*>(QStringLiteral("pacerBehind"))->setChecked(true);
        QTRY_VERIFY_WITH_TIMEOUT(window->picture().figure.width() > one.width(), 30000);
        const QImage pair = window->picture().figure;
        const QImage left = pair.copy(0, 0, pair.width() / 2, pair.height()),
                     right = pair.copy(pair.width() / 2, 0, pair.width() / 2, pair.height());
        QVERIFY(left != right);
        window->findChild<QCheckBox*>(QStringLiteral("pacerHide"))->setChecked(true); // from memory hides both
        QTRY_VERIFY_WITH_TIMEOUT(window->picture().figure.isNull(), 30000);
        window->run().stop();
    }
    void a_run_at_sixty_times_its_speed_goes_into_the_log() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(8);
        propose(page);
        auto* window = page->run_now();
        QVERIFY(window);
        QElapsedTimer real;
        real.start();
        window->run().set_clock([&] { return static_cast<double>(real.nsecsElapsed()) * 60e-9; });
        QSignalSpy called(&window->run(), &ui::PacerRun::called), ended(&window->run(), &ui::PacerRun::ended);
        QTest::keyClick(window, Qt::Key_Space); // goes
        QTRY_VERIFY_WITH_TIMEOUT(window->run().pacer().at_s() > 60, 10000);
        QVERIFY(!window->picture().title.isEmpty());
        QTest::keyClick(window, Qt::Key_Space); // rests
        const double at = window->run().pacer().at_s();
        QTest::qWait(120);
        QCOMPARE(window->run().pacer().at_s(), at);
        QTest::keyClick(window, Qt::Key_Space);
        QTRY_COMPARE_WITH_TIMEOUT(ended.count(), 1, 30000);
        QCOMPARE(called.count(), static_cast<int>(window->run().pacer().timeline().calls.size()));
        // What was done is asked about, and kept in ten seconds.
        auto* dialog = page->findChild<ui::LogDialog*>();
        QTRY_VERIFY_WITH_TIMEOUT(dialog = page->findChild<ui::LogDialog*>(), 30000);
        QCOMPARE(dialog->findChild<QSpinBox*>(QStringLiteral("logMinutes"))->value(), 8);
        dialog->findChild<QSpinBox*>(QStringLiteral("logEffort"))->setValue(6);
        dialog->findChild<QLineEdit*>(QStringLiteral("logFelt"))->setText(QStringLiteral("warm hands"));
        dialog->findChild<QLineEdit*>(QStringLiteral("logPain"))->setText(QStringLiteral("left knee"));
        QVERIFY(test::says(*dialog, QStringLiteral("licensed clinician")));
        QTest::keyClick(dialog, Qt::Key_Return);
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->practice().of(0)->size(), std::size_t(1), 20000);
        const auto log = b.session.library->practice().of(0)->front();
        QVERIFY(log.minutes > 7.4 && log.minutes < 8.6 && *log.effort == 6 && log.pain == "left knee");
        int left = 0, right = 0;
        for (const auto& d : log.done) left += d.left, right += d.right;
        QVERIFY(left == right && left > 0);
        QTRY_COMPARE_WITH_TIMEOUT(rows(page->findChild<QTableView*>(QStringLiteral("practiceLog"))), 1, 30000);
        const QString csv = copy_.dir.filePath(QStringLiteral("log.csv")), pdf = copy_.dir.filePath(QStringLiteral("log.pdf"));
        page->log()->write_csv(csv);
        page->log()->write_pdf(pdf);
        QTRY_VERIFY_WITH_TIMEOUT(read(csv).contains(QStringLiteral("warm hands")), 20000);
        QTRY_VERIFY_WITH_TIMEOUT(QFileInfo(pdf).size() > 5000, 20000);
        window->close();
    }

    /// A form piece by piece: planned, undone, run through by its figure and the names of its parts, kept to what one may do.
    void a_form_is_practised_piece_by_piece() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* forms = page->findChild<QComboBox*>(QStringLiteral("planForm"));
        auto* known = page->findChild<QSpinBox*>(QStringLiteral("planFormKnown"));
        for (auto* head : page->findChildren<QToolButton*>(QStringLiteral("fold"))) // what is seldom needed is folded
            if (head->text().startsWith(QStringLiteral("A form"))) head->click();
        QVERIFY(!known->isVisibleTo(page)); // nothing is asked of it until one is chosen
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(40);
        const int at = forms->findData(QStringLiteral("follow_step_six"));
        QVERIFY(at > 0);
        forms->setCurrentIndex(at);
        emit forms->activated(at);
        QVERIFY(known->isVisibleTo(page));
        QCOMPARE(known->maximum(), 6);
        known->setValue(2);
        auto* recall = page->findChild<QCheckBox*>(QStringLiteral("planFormRecall"));
        recall->setChecked(true);
        propose(page);
        const auto pieces = [&] {
            std::vector<PlanItem> out;
            for (const auto& i : page->plan().items)
                if (PieceId::read(i.movement)) out.push_back(i);
            return out;
        };
        QVERIFY(pieces().size() >= 4);
        QCOMPARE(pieces()[0].movement, std::string("form:follow_step_six/1-2"));
        QVERIFY(pieces()[0].recall);
        QCOMPARE(pieces()[1].movement, std::string("form:follow_step_six/3-3"));
        auto* list = page->findChild<QListWidget*>(QStringLiteral("plan"));
        QStringList lines;
        for (int i = 0; i < list->count(); ++i) lines << list->item(i)->text();
        const QString all = lines.join(QLatin1Char('\n'));
        QVERIFY2(all.contains(QStringLiteral("Six with a Follow Step: parts 1 to 2, from memory")), qPrintable(all));
        QVERIFY2(all.contains(QStringLiteral("Six with a Follow Step: from part 2 over into 3")), qPrintable(all));
        QVERIFY(all.contains(QStringLiteral("3. Follow Step")));
        // The run: its names are called, the figure rests where it goes by memory.
        auto* window = page->run_now();
        double now = 0;
        window->run().set_clock([&] { return now; });
        QTest::keyClick(window, Qt::Key_Space);
        QStringList called;
        connect(&window->run(), &ui::PacerRun::called, window,
                [&](const Call& c) { called << QString::fromStdString(c.code + ":" + c.of); });
        const Timeline& t = window->run().pacer().timeline();
        bool drawn = false, hidden = false;
        for (const auto& s : t.stretches) {
            const auto piece = PieceId::read(s.movement);
            if (!piece || s.kind != Stretch::Kind::repeat) continue;
            now = 0.5 * (s.from_s + s.to_s);
            window->run().tick();
            const bool from_memory = page->plan().items[s.item].recall;
            if (from_memory) hidden = window->picture().figure.isNull() && window->picture().words == QStringLiteral("From memory");
            if (!from_memory && !drawn) drawn = QTest::qWaitFor([&] { return !window->picture().figure.isNull(); }, 5000);
            if (drawn && hidden) break;
        }
        QVERIFY(drawn && hidden);
        QVERIFY2(called.contains(QStringLiteral("was_part:Opening: Rise and Sink")), qPrintable(called.join(QLatin1Char(' '))));
        window->run().stop();
        window->close();
        // The sheet names them, and draws each part once.
        QSignalSpy exported(page, &ui::PracticePage::exported);
        const QString sheet = copy_.dir.filePath(QStringLiteral("form-sheet.html"));
        page->export_to(sheet);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 120000);
        const QString html = read(sheet);
        QVERIFY(html.contains(QStringLiteral("parts 1 to 2, from memory")));
        QCOMPARE(html.count(QStringLiteral("1. Opening: Rise and Sink</small>")), 1);
        // Seated, nobody is led through it, and it is said.
        const Plan standing = page->plan();
        page->findChild<QCheckBox*>(QStringLiteral("planUnsteady"))->setChecked(true);
        propose(page);
        for (const auto& i : pieces()) QVERIFY(!barred(i, page->findChild<ui::NeedsForm*>()->needs(), *b.session.practice_movements()));
        page->undo().undo();
        QCOMPARE(plan_text(page->plan()), plan_text(standing));
    }

    void the_stop_key_stops() {
        Bench b(copy_.demo);
        auto* page = come(b);
        auto* window = page->run_now();
        QSignalSpy ended(&window->run(), &ui::PacerRun::ended);
        auto* stop = window->findChild<QPushButton*>(QStringLiteral("pacerStop"));
        QVERIFY(stop && stop->isVisible() && stop->height() >= 30);
        QTest::keyClick(window, Qt::Key_Space);
        QTest::keyClick(window, Qt::Key_PageDown); // a remote
        QVERIFY(window->run().pacer().at_s() > 30);
        QTest::mouseClick(stop, Qt::LeftButton);
        QCOMPARE(ended.count(), 1);
        QVERIFY(window->run().stopped());
        const double at = window->run().pacer().at_s();
        QTest::keyClick(window, Qt::Key_Space);
        QTest::qWait(60);
        QCOMPARE(window->run().pacer().at_s(), at);
        window->close();
    }

    void what_is_exported_can_be_read_again() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->findChild<QSpinBox*>(QStringLiteral("planMinutes"))->setValue(4);
        propose(page);
        QSignalSpy exported(page, &ui::PracticePage::exported);
        int n = 0;
        const auto out = [&](const char* name) {
            const QString file = copy_.dir.filePath(QLatin1String(name));
            page->export_to(file);
            if (!QTest::qWaitFor([&] { return exported.count() == n + 1; }, 240000)) qFatal("not exported: %s", name);
            ++n;
            return file;
        };
        const auto plan = parse_plan(read(out("plan.json")).toStdString());
        QVERIFY(plan);
        QCOMPARE(plan_text(*plan), plan_text(page->plan()));
        const QString html = read(out("sheet.html"));
        for (const auto& i : page->plan().items)
            QVERIFY(html.contains(ui::text::item_title(i, *b.session.movements.now()).toHtmlEscaped()));
        QVERIFY(html.contains(QStringLiteral("licensed clinician")) && html.contains(QStringLiteral("data:image/png")));
        QProcess p;
        p.start(QStringLiteral("pdftotext"), {out("sheet.pdf"), QStringLiteral("-")});
        QVERIFY(p.waitForFinished());
        QVERIFY(QString::fromUtf8(p.readAllStandardOutput())
                    .contains(ui::text::item_title(page->plan().items[1], *b.session.movements.now()).section(QLatin1Char(' '), 0, 0)));
        QVERIFY(read(out("plan.ics")).contains(QStringLiteral("DURATION:PT4M")));
        const QString sound = out("plan.flac");
        QProcess probe;
        probe.start(QStringLiteral("ffprobe"),
                    {QStringLiteral("-v"), QStringLiteral("error"), QStringLiteral("-show_entries"), QStringLiteral("format=duration"),
                     QStringLiteral("-of"), QStringLiteral("csv=p=0"), sound});
        QVERIFY(probe.waitForFinished());
        const double seconds = probe.readAllStandardOutput().trimmed().toDouble();
        QVERIFY2(seconds >= page->plan().total_s() - 0.1 && seconds < page->plan().total_s() + 8, qPrintable(QString::number(seconds)));
    }

    void the_practice_film_has_pictures_sound_and_captions() {
        const auto movements = load_movements(test::data_dir());
        ui::PracticeFilm film;
        film.width = 180, film.height = 320, film.fps = 4;
        PlanItem stand;
        stand.part = PlanPart::opening, stand.movement = "quiet_stand", stand.practice_s = 4;
        PlanItem bow;
        bow.movement = "draw_the_bow", bow.left = bow.right = 1, bow.change_s = 2;
        film.plan.items = {stand, bow};
        settle_plan(film.plan, movements);
        const std::filesystem::path file = copy_.dir.filePath(QStringLiteral("film.mp4")).toStdString();
        const auto ok = ui::write_practice_film(file, film, movements, {}, {});
        QVERIFY2(ok, ok ? "" : ok.error().context.c_str());
        const double length = timeline_of(film.plan, movements, film.options).length_s;
        auto reader = ClipReader::open(file);
        QVERIFY(reader);
        QVERIFY(std::abs(static_cast<double>(reader->info().time_s.size()) - length * 4) <= 1.5);
        QProcess probe;
        probe.start(QStringLiteral("ffprobe"), {QStringLiteral("-v"), QStringLiteral("error"), QStringLiteral("-show_entries"),
                                                QStringLiteral("stream=codec_type,codec_name"), QStringLiteral("-of"),
                                                QStringLiteral("csv=p=0"), QString::fromStdString(file.string())});
        QVERIFY(probe.waitForFinished());
        const QString streams = QString::fromUtf8(probe.readAllStandardOutput());
        QVERIFY2(streams.contains(QStringLiteral("h264,video")) && streams.contains(QStringLiteral("aac,audio")), qPrintable(streams));
        const QString vtt = read(copy_.dir.filePath(QStringLiteral("film.vtt")));
        QVERIFY(vtt.startsWith(QStringLiteral("WEBVTT")) && vtt.contains(QStringLiteral(" --> ")) &&
                vtt.contains(QStringLiteral("Draw the Bow")));
        // The figure turns from left to right: two moments of the two sides mirror each other on the picture, roughly.
        const auto a = reader->frame(static_cast<std::size_t>(4 * 4 + 8 + 16)), c = reader->frame(static_cast<std::size_t>(4 * 4 + 8));
        QVERIFY(a && c && (*a)->rgb != (*c)->rgb);
        // Cancelled it leaves nothing.
        std::stop_source stop;
        stop.request_stop();
        const std::filesystem::path no = copy_.dir.filePath(QStringLiteral("no.mp4")).toStdString();
        QCOMPARE(ui::write_practice_film(no, film, movements, stop.get_token(), {}).error().code, Code::cancelled);
        QVERIFY(!std::filesystem::exists(no));
    }

    void own_plans_are_kept_for_whoever() {
        Bench b(copy_.demo);
        auto* page = come(b);
        page->keep_plan(QStringLiteral("Tuesday hall"));
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->forms().all(Own::plan)->size(), std::size_t(1), 20000);
        const auto plan = parse_plan(b.session.library->forms().all(Own::plan)->front().body);
        QVERIFY(plan && plan->person.empty() && plan->items.size() == page->plan().items.size());
    }
};

QTEST_MAIN(TestPractice)
#include "test_practice.moc"
