// Takes the pictures of docs/screenshots from the demo: bevel-screenshots LIBRARY OUT [--dark] [--size WxH] [--language de] [--text 120].
// The library is copied first.
#include "app/main_window.h"
#include "core/movement/movement.h"
#include "ui/arrivals/parts_dialog.h"
#include "ui/arrivals/still_pair.h"
#include "ui/forms/course_view.h"
#include "ui/forms/learn_dialog.h"
#include "ui/forms/schools_dialog.h"
#include "ui/letter/letter_view.h"
#include "ui/pictures/figure_view.h"
#include "ui/shell/help_window.h"
#include <cstdio>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QElapsedTimer>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QSlider>
#include <QTableView>
#include <QTableWidget>
#include <QTabWidget>
#include <QTemporaryDir>
#include <QThread>
#include <QToolButton>

using namespace bevel;

namespace {

bool wait(const std::function<bool()>& until, int ms = 30000) {
    QElapsedTimer t;
    t.start();
    while (!until()) {
        if (t.elapsed() > ms) return false;
        QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
        QThread::msleep(5);
    }
    return true;
}
void settle(int ms) {
    QElapsedTimer t;
    t.start();
    wait([&] { return t.elapsed() > ms; });
}

} // namespace

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    const QStringList args = QApplication::arguments();
    if (args.size() < 3) return 2;
    QTemporaryDir copy;
    const std::filesystem::path folder = copy.filePath(QStringLiteral("library")).toStdString();
    std::filesystem::copy(args[1].toStdString(), folder, std::filesystem::copy_options::recursive);
    std::filesystem::create_directories(args[2].toStdString());
    const auto data = find_data_dir(argv[0]);
    ui::Theme::load_fonts(data);
    auto library = Library::open(folder);
    auto catalogue = ui::Catalogue::load(data);
    if (!library || !catalogue) return 3;
    // The clip that waits comes in as one of which nothing was said.
    const auto all = library->clips().all();
    std::int64_t waiting = 0;
    for (auto c : *all)
        if (c.state == ClipState::waiting) {
            waiting = c.id;
            c.person = 0;
            c.movement.clear();
            if (!library->clips().set_facts(c)) return 3;
        }
    ui::Session session;
    session.library = std::make_shared<Library>(std::move(*library));
    session.catalogue = std::move(*catalogue);
    session.shipped = load_movements(data);
    session.movements = session.shipped;
    session.shipped_schools = load_schools(data);
    session.schools = session.shipped_schools;
    session.shipped_linked = load_forms(data);
    session.set_linked(session.shipped_linked);
    session.theme = ui::Theme(args.contains(QStringLiteral("--dark")));
    ui::Background background, copies, finder;
    session.background = &background;
    session.copies = &copies;
    session.finder = &finder;
    session.model_dir = find_model_dir(argv[0]);
    auto given = [&](const char* option) {
        const auto i = args.indexOf(QLatin1String(option));
        return i > 0 && i + 1 < args.size() ? args[i + 1] : QString();
    };
    ui::speak(given("--language").isEmpty() ? QStringLiteral("en") : given("--language"));
    if (const int percent = given("--text").toInt(); percent > 0) session.settings.text_percent = percent;
    ui::MainWindow window(session);
    if (const auto wh = given("--size").split(QLatin1Char('x')); wh.size() == 2) {
        window.resize(wh[0].toInt(), wh[1].toInt());
    }
    window.show();
    int taken = 0;
    auto shot = [&](const QString& name) {
        window.grab().save(QStringLiteral("%1/%2.png").arg(args[2], name));
        ++taken;
    };
    // Two phones at once: the body in the room.
    const auto pair_in_room = [&](const std::vector<Clip>& all) {
        std::int64_t front = 0;
        for (const auto& c : all)
            if (c.pair != 0 && c.view == "front") front = c.id;
        bool opened = false;
        const auto link = QObject::connect(window.review(), &ui::ReviewPage::opened, [&] { opened = true; });
        window.open_review(front);
        if (!wait([&] { return opened && window.review()->shows_current(); })) return false;
        QObject::disconnect(link);
        if (!window.review()->state().open->at_once.together) return false;
        window.review()->findChild<QToolButton*>(QStringLiteral("inRoom"))->setChecked(true);
        settle(200); // painted
        shot(QStringLiteral("review-pair"));
        window.review()->findChild<QToolButton*>(QStringLiteral("inRoom"))->setChecked(false);
        return true;
    };
    // A course under way: its threads, one of them explained.
    const auto weeks_of = [&](qint64 person) {
        window.show_place(window.place(QStringLiteral("practice")));
        auto* practice = window.practice();
        ui::Ref whom;
        whom.person = person;
        practice->open(whom);
        if (!wait([&] { return practice->form()->person() == person && background.idle() && copies.idle(); })) return false;
        auto* tabs = practice->findChild<QTabWidget*>(QStringLiteral("practiceTabs"));
        tabs->setCurrentWidget(practice->course());
        if (!wait([&] { return practice->course()->course().id != 0 && background.idle() && copies.idle(); })) return false;
        auto* table = practice->course()->threads();
        table->setCurrentIndex(table->model()->index(4, 5));
        table->setFocus();
        settle(200); // painted
        shot(QStringLiteral("course"));
        tabs->setCurrentIndex(0);
        return true;
    };
    if (args.contains(QStringLiteral("--course"))) return weeks_of(1) ? 0 : 1;
    // A clip that was looked at by somebody who learns to see, told; and the record.
    const auto seeing_lesson = [&] {
        window.show_place(window.place(QStringLiteral("seeing")));
        auto* page = window.seeing();
        if (!wait([&] { return page->assistant() != 0 && background.idle() && !page->rounds().empty(); })) return false;
        page->findChild<QComboBox*>(QStringLiteral("seeLevel"))->setCurrentIndex(static_cast<int>(SeeingLevel::several));
        page->next_clip(12);
        if (!wait([&] { return page->view()->clip() && page->view()->is_current(); })) return false;
        const auto& there = page->view()->clip()->truth().there;
        const auto say = [&](const Visible& v, double t) {
            page->view()->set_time(t);
            const auto side = v.left && v.right ? SaidSide::both : v.left ? SaidSide::left : v.right ? SaidSide::right : SaidSide::none;
            if (page->saying()->choose(v.check, v.direction, side)) page->saying()->say();
        };
        say(there.front(), there.front().time_s);
        page->saying()->go_to(static_cast<int>(Family::arms));
        page->view()->set_time(7);
        page->saying()->say();
        page->saying()->go_to(static_cast<int>(Family::spine));
        if (!wait([&] { return page->view()->is_current(); })) return false;
        settle(200); // painted
        shot(QStringLiteral("seeing-looked"));
        page->saying()->tell();
        if (!wait([&] { return page->view()->is_current() && background.idle(); })) return false;
        settle(200);
        shot(QStringLiteral("seeing"));
        auto* tabs = page->findChild<QTabWidget*>(QStringLiteral("seeingTabs"));
        tabs->setCurrentIndex(1);
        settle(200);
        shot(QStringLiteral("seeing-record"));
        tabs->setCurrentIndex(0);
        return true;
    };
    if (args.contains(QStringLiteral("--seeing"))) return seeing_lesson() ? 0 : 1;
    if (args.contains(QStringLiteral("--pair"))) {
        const auto there = session.library->clips().all();
        return there && wait([&] { return background.idle(); }) && pair_in_room(*there) ? 0 : 1;
    }
    if (!weeks_of(1) || !seeing_lesson()) return 1;
    // A class: one of its lessons, and what most of them miss.
    window.show_place(window.place(QStringLiteral("classes")));
    auto* classes = window.classes();
    if (!wait([&] { return classes->shown() != 0 && background.idle(); })) return 1;
    classes->lesson()->show_day("2026-12-03");
    settle(200);
    shot(QStringLiteral("class"));
    {
        auto* held = classes->lesson()->run_now();
        if (!held) return 1;
        double at = 0;
        held->run().set_clock([&] { return at; });
        held->run().start();
        for (const auto& c : held->run().pacer().timeline().calls)
            if (c.code.starts_with("otherwise")) {
                at = c.at_s + 25;
                break;
            }
        held->findChild<QCheckBox*>(QStringLiteral("pacerFacing"))->setChecked(true);
        held->run().tick();
        wait([&] { return !held->picture().figure.isNull(); });
        settle(200);
        held->grab().save(QStringLiteral("%1/class-held.png").arg(args[2]));
        held->close();
    }
    auto* class_tabs = classes->findChild<QTabWidget*>(QStringLiteral("classTabs"));
    class_tabs->setCurrentWidget(classes->facts());
    settle(100);
    shot(QStringLiteral("class-facts"));
    {
        const QTemporaryDir aside;
        const QString handed = aside.filePath(QStringLiteral("class.bevelclass"));
        const QString sheet = QStringLiteral("%1/class-page.pdf").arg(args[2]);
        classes->hand_over(sheet, ui::HandOver::page);
        classes->hand_over(handed, ui::HandOver::with_names);
        if (!wait([&] { return QFile::exists(handed); })) return 1;
        classes->take_over(handed);
        QDialog* dialog = nullptr;
        if (!wait([&] { return (dialog = classes->findChild<QDialog*>(QStringLiteral("handover"))) && dialog->isVisible(); })) return 1;
        settle(100);
        dialog->grab().save(QStringLiteral("%1/class-handover.png").arg(args[2]));
        dialog->reject();
    }
    class_tabs->setCurrentWidget(classes->course());
    if (!wait([&] { return classes->course()->course().id != 0 && background.idle(); })) return 1;
    settle(150);
    shot(QStringLiteral("class-course"));
    class_tabs->setCurrentWidget(classes->common());
    classes->findChild<QDateEdit*>(QStringLiteral("commonSince"))->setDate(QDate(2026, 11, 1));
    if (!wait([&] { return background.idle() && !classes->common()->changes().empty(); })) return 1;
    settle(100);
    shot(QStringLiteral("class-common"));
    {
        window.show_place(window.place(QStringLiteral("people")));
        window.people()->show_person(1);
        if (!wait([&] { return window.people()->shown() == 1 && background.idle(); })) return 1;
        window.people()->findChild<QTabWidget*>(QStringLiteral("personTabs"))->setCurrentIndex(5);
        settle(150);
        shot(QStringLiteral("quiet-tests"));
        window.people()->findChild<QTabWidget*>(QStringLiteral("personTabs"))->setCurrentIndex(4);
        settle(150);
        shot(QStringLiteral("person-facts"));
        window.people()->findChild<QTabWidget*>(QStringLiteral("personTabs"))->setCurrentIndex(0);
    }
    class_tabs->setCurrentIndex(0);
    if (args.contains(QStringLiteral("--class"))) return 0;
    window.show_place(0);
    const auto* table = window.arrivals()->findChild<QTableView*>(QStringLiteral("clips"));
    if (!wait([&] { return table->model()->rowCount() > 0 && background.idle(); })) return 1;
    // The waiting clip is being looked at: its progress shows.
    const auto* progress = window.findChild<QProgressBar*>(QStringLiteral("jobProgress"));
    wait([&] { return progress->value() > 50; }, 10000);
    const auto* evening = window.arrivals()->findChild<QListWidget*>(QStringLiteral("evening"));
    if (!wait([&] { return evening->count() > 0; })) return 1;
    shot(QStringLiteral("arrivals"));
    window.arrivals()->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
    if (!wait([&] { return session.library->clips().get(waiting)->state == ClipState::asked; }, 60000)) return 1;
    wait([&] { return background.idle(); });
    auto* list = window.arrivals()->findChild<QTableView*>(QStringLiteral("clips"));
    for (int r = 0; r < list->model()->rowCount(); ++r) // of whom nothing was said: by the name of the file
        if (list->model()->index(r, 0).data().toString().contains(QStringLiteral("noor-mane-left"))) list->selectRow(r);
    const auto* stills = window.arrivals()->findChild<ui::StillPair*>(QStringLiteral("stills"));
    if (!wait([&] { return stills->isVisible() && stills->painted(); })) return 1;
    shot(QStringLiteral("arrivals-asked"));
    const auto clips = session.library->clips().all();
    if (!clips) return 3;
    struct View {
        const char *movement, *view;
        Family family;
        const char* name;
    };
    // Each family on a clip that shows it.
    const std::vector<View> views{
        {"separate_the_clouds", "front", Family::feet, "review-feet"},
    };
    for (const auto& v : views) {
        const Clip* clip = nullptr;
        for (const auto& c : *clips)
            if (!clip && c.pair == 0 && c.movement == v.movement && c.view == v.view && session.library->clips().has_file(c) &&
                (c.state == ClipState::tracked || c.state == ClipState::reviewed))
                clip = &c; // the newest with its film
        if (!clip) continue;
        auto* page = window.review();
        if (!page->state().open || page->state().open->clip.id != clip->id) {
            bool opened = false;
            const auto link = QObject::connect(page, &ui::ReviewPage::opened, [&] { opened = true; });
            window.open_review(clip->id);
            wait([&] { return opened; });
            QObject::disconnect(link);
        }
        page->state().set_family(v.family);
        for (const auto& f : page->state().open->review->findings)
            if (f.family == v.family && f.verdict != Verdict::cannot_tell) {
                page->state().set_time(f.time_s);
                break;
            }
        if (!wait([&] { return page->shows_current() && page->state().open->clip.id == clip->id; })) {
            std::fprintf(stderr, "%s: the picture did not come\n", v.name);
            return 1;
        }
        settle(100); // painted
        shot(QString::fromLatin1(v.name));
    }
    if (!pair_in_room(*clips)) return 1;
    {
        std::int64_t left = 0;
        for (const auto& c : *clips)
            if (c.movement == "part_the_horses_mane" && c.state != ClipState::asked && c.person != 0 && c.view == "left") left = c.id;
        if (left == 0) return 1;
        // The same clip cut into parts.
        const ClipRow row{*session.library->clips().get(left), {}};
        ui::PartsDialog parts(session, row, &window);
        bool ready = false;
        QObject::connect(&parts, &ui::PartsDialog::ready, [&] { ready = true; });
        parts.show();
        if (!wait([&] { return ready; })) return 1;
        const auto& found = parts.strip().parts();
        parts.strip().set_at(0.5 * (found.front().from_s + found.front().to_s));
        parts.findChild<QPushButton*>(QStringLiteral("split"))->click();
        if (!wait([&] { return background.idle() && parts.complete(); })) return 1;
        parts.grab().save(QStringLiteral("%1/parts.png").arg(args[2]));
        ++taken;
    }
    // A whole form, seen from the top through.
    for (const auto& c : *clips)
        if (c.movement.starts_with(form_prefix) && session.library->clips().has_file(c)) {
            bool opened = false;
            const auto link = QObject::connect(window.review(), &ui::ReviewPage::opened, [&] { opened = true; });
            window.open_review(c.id);
            if (!wait([&] { return opened; }, 60000)) return 1;
            QObject::disconnect(link);
            auto& state = window.review()->state();
            state.set_family(Family::spine);
            for (const auto& f : state.open->review->findings)
                if (f.verdict == Verdict::outside) {
                    state.set_time(f.time_s);
                    break;
                }
            if (!wait([&] { return window.review()->shows_current(); })) return 1;
            settle(200); // painted
            shot(QStringLiteral("review-form"));
        }
    for (const auto& c : *clips)
        if (c.state == ClipState::reviewed && !c.movement.starts_with(form_prefix)) {
            bool opened = false;
            QObject::connect(window.review(), &ui::ReviewPage::opened, [&] { opened = true; });
            window.open_review(c.id);
            wait([&] { return opened; });
            window.show_place(2);
            const auto* pdf = window.letter()->findChild<QPushButton*>(QStringLiteral("primary"));
            wait([&] { return pdf->isEnabled(); }, 60000);
            const auto* page = window.letter()->findChild<ui::LetterView*>();
            if (!wait([&] { return page->shows_letter(); }, 60000)) return 1;
            shot(QStringLiteral("letter"));
            auto* parts_of_letter = window.letter()->findChild<QTabWidget*>(QStringLiteral("letterTabs"));
            for (const int tab : {1, 2}) {
                parts_of_letter->setCurrentIndex(tab);
                settle(60);
                window.grab().save(QStringLiteral("%1/letter-tab-%2.png").arg(args[2]).arg(tab));
            }
            parts_of_letter->setCurrentIndex(0);
            // The same with who it is hidden, once its own page is there.
            bool again = false;
            const QObject meanwhile;
            QObject::connect(page, &ui::LetterView::shown, &meanwhile, [&] { again = true; });
            window.letter()->findChild<QCheckBox*>(QStringLiteral("hide"))->click();
            if (!wait([&] { return again; }, 60000)) return 1;
            shot(QStringLiteral("letter-hidden"));
            window.letter()->findChild<QCheckBox*>(QStringLiteral("hide"))->click();
            window.show_place(1);
            auto picture_of = [&](QDialog* dialog, const char* name) {
                if (!dialog) return false;
                wait([&] { return dialog->isVisible() && background.idle(); });
                settle(100); // painted
                dialog->grab().save(QStringLiteral("%1/%2.png").arg(args[2], QLatin1String(name)));
                ++taken;
                dialog->close();
                return true;
            };
            window.review()->findChild<QToolButton*>(QStringLiteral("why"))->click();
            auto* why = window.review()->findChild<QDialog*>(QStringLiteral("whyDialog"));
            if (!why) return 1;
            why->grab().save(QStringLiteral("%1/why.png").arg(args[2]));
            ++taken;
            why->close();
            window.show_place(window.place(QStringLiteral("ground")));
            bool measured = false;
            QObject::connect(window.ground(), &ui::GroundPage::measured, [&] { measured = true; });
            if (!wait([&] { return measured; })) return 1;
            // Where the camera stood is known.
            auto* ground = window.ground();
            measured = false;
            ground->findChild<QDoubleSpinBox*>(QStringLiteral("cameraHeight"))->setValue(110);
            ground->findChild<QToolButton*>(QStringLiteral("takeFloor"))->click();
            if (!wait([&] { return measured; }) || !ground->layers().camera_height_m) return 1;
            if (!wait([&] { return background.idle() && ground->view()->has_picture(); })) return 1;
            shot(QStringLiteral("ground"));
            ground->findChild<QToolButton*>(QStringLiteral("toolPoints"))->click();
            if (!wait([&] { return background.idle() && ground->view()->has_picture(); })) return 1;
            shot(QStringLiteral("points"));
            // Who practises: what became of the figures of one who sent two clips.
            std::map<std::pair<std::int64_t, std::string>, int> times;
            std::int64_t twice = 0;
            for (const auto& other : *clips)
                if (other.person != 0 && ++times[{other.person, other.movement}] > 1) twice = other.person;
            window.show_place(window.place(QStringLiteral("people")));
            auto* people = window.people();
            if (!wait([&] { return people->shown() != 0 && background.idle(); })) return 1;
            people->show_person(twice);
            if (!wait([&] { return people->shown() == twice && people->sheet()->unmeasured.empty() && background.idle() && copies.idle(); },
                      60000))
                return 1;
            settle(100);
            QElapsedTimer listed; // one is looked for after the other
            listed.start();
            if (!wait([&] { return listed.elapsed() > 3000 && background.idle(); })) return 1;
            shot(QStringLiteral("people"));
            people->findChild<QTabWidget*>(QStringLiteral("personTabs"))->setCurrentIndex(1);
            window.grab().save(QStringLiteral("%1/people-record.png").arg(args[2]));
            for (const auto& [tab, name] : {std::pair{2, "letters"}, {3, "limits"}, {4, "person"}}) {
                people->findChild<QTabWidget*>(QStringLiteral("personTabs"))->setCurrentIndex(tab);
                window.grab().save(QStringLiteral("%1/people-%2.png").arg(args[2], QLatin1String(name)));
            }
            window.show_place(window.place(QStringLiteral("forms")));
            auto* forms = window.forms();
            forms->show_movement(QStringLiteral("draw_the_bow"));
            forms->figure().set_time(3 + 2.0 + 2.6);
            if (!wait([&] { return forms->figure().is_current() && forms->findChild<ui::CourseView*>()->is_told(); })) return 1;
            settle(100); // painted
            shot(QStringLiteral("forms"));
            // A whole form, and its way over the floor.
            forms->show_movement(QStringLiteral("form:twelve_at_the_quay"));
            if (!wait([&] { return forms->figure().duration() > 120; })) return 1;
            forms->figure().set_time(0.6 * forms->figure().duration());
            if (!wait([&] { return forms->figure().is_current(); })) return 1;
            settle(300); // painted
            shot(QStringLiteral("forms-whole"));
            auto* fault = forms->findChild<QComboBox*>(QStringLiteral("fault"));
            forms->show_movement(QStringLiteral("part_the_horses_mane"));
            fault->setCurrentIndex(fault->findText(QStringLiteral("lean"), Qt::MatchContains));
            forms->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(2);
            forms->figure().set_time(3 + 2.2 + 1.1 + 1.1 + 0.7 + 2.4);
            forms->figure().set_azimuth(80);
            if (!wait([&] { return forms->figure().is_current() && forms->findChild<ui::CourseView*>()->is_told(); })) return 1;
            settle(150); // painted
            shot(QStringLiteral("forms-fault"));
            forms->show_movement(QStringLiteral("staff_closing_turn"));
            forms->findChild<QTabWidget*>(QStringLiteral("formTabs"))->setCurrentIndex(3);
            forms->findChild<QSlider*>(QStringLiteral("around"))->setValue(25);
            auto* phase = forms->findChild<QComboBox*>(QStringLiteral("formPhase"));
            phase->setCurrentIndex(1);
            emit phase->activated(1); // its posture is shown
            if (!wait([&] { return forms->figure().is_current() && forms->findChild<ui::CourseView*>()->is_told(); })) return 1;
            settle(150); // painted
            shot(QStringLiteral("forms-change"));
            // A movement told from a clip that shows it.
            forms->learn_from(c.id);
            auto* learn = forms->findChild<ui::LearnDialog*>();
            if (!wait([&] { return !learn->busy() && !learn->layout_of().phases.empty() && learn->complete(); }, 60000)) return 1;
            learn->strip().choose(2);
            learn->strip().set_at(learn->layout_of().phases[2].end_s);
            learn->findChild<QPushButton*>(QStringLiteral("learnNow"))->click();
            if (!wait([&] { return !learn->busy() && learn->complete(); }, 60000)) return 1;
            learn->grab().save(QStringLiteral("%1/forms-learn.png").arg(args[2]));
            learn->reject();
            forms->show_schools();
            auto* schools = forms->findChild<ui::SchoolsDialog*>();
            schools->findChild<QListWidget*>(QStringLiteral("schoolList"))->setCurrentRow(1);
            schools->findChild<QTableWidget*>(QStringLiteral("schoolChanges"))->setCurrentCell(0, 0);
            schools->grab().save(QStringLiteral("%1/schools.png").arg(args[2]));
            schools->close();
            // A remark of one's own, and the instructor's clip in place of the figure.
            std::int64_t shows = 0;
            for (const auto& other : *clips)
                if (session.library->clips().has_file(other) && other.movement == c.movement && other.id != c.id && other.person != 0)
                    shows = other.id;
            // With consent, as it is written down in People; else face and name are hidden.
            if (const auto of = session.library->clips().get(shows)) {
                auto facts = session.library->people().facts(of->person).value_or(PersonFacts{});
                facts.consent = "Shown to the group, 3 November 2026";
                if (!session.library->people().set_facts(of->person, facts)) return 1;
            }
            if (shows != 0 && session.library->forms().set_model(c.movement, shows)) {
                window.show_place(1);
                if (!wait([&] { return window.review()->shows_current(); })) return 1;
                Remark r;
                r.time_s = 6;
                r.family = static_cast<int>(Family::arms);
                r.words = "Let the hands part as if the air between them were thick.";
                window.review()->see(r);
                window.review()->want_model(true);
                if (!wait(
                        [&] {
                            return window.review()->state().shows_model() && !window.review()->state().open->seen.empty() &&
                                   window.review()->shows_current();
                        },
                        60000))
                    return 1;
                window.review()->state().set_time(6);
                if (!wait([&] { return window.review()->shows_current(); })) return 1;
                settle(100);
                window.grab().save(QStringLiteral("%1/review-own.png").arg(args[2]));
                window.actions_table().find("holdsAction")->trigger();
                if (auto* holds = window.review()->findChild<QDialog*>(QStringLiteral("holdsDialog"))) {
                    holds->grab().save(QStringLiteral("%1/holds.png").arg(args[2]));
                    holds->close();
                }
                window.review()->want_model(false);
            }
            // A clip that was given the wrong name.
            for (auto wrong : *clips) {
                if (wrong.movement != "gaze_at_the_moon" || wrong.pair != 0 || !session.library->clips().has_file(wrong)) continue;
                const std::string right = wrong.movement;
                wrong.movement = "side_shift";
                if (!session.library->clips().set_facts(wrong)) return 1;
                window.open_review(wrong.id);
                if (!wait([&] {
                        const auto& open = window.review()->state().open;
                        return open && open->clip.id == wrong.id && !open->elsewhere.empty() && window.review()->shows_current();
                    }))
                    return 1;
                settle(200);
                window.grab().save(QStringLiteral("%1/review-other.png").arg(args[2]));
                wrong.movement = right;
                if (!session.library->clips().set_facts(wrong)) return 1;
                break;
            }
            // A session for somebody with limits, its run, and what was practised.
            window.show_place(window.place(QStringLiteral("practice")));
            auto* practice = window.practice();
            ui::Ref whom;
            whom.person = clips->back().person;
            for (const auto& other : *clips)
                if (other.movement == "gaze_at_the_moon") whom.person = session.library->clips().get(1)->person;
            practice->open(whom);
            if (!wait([&] {
                    return !practice->plan().items.empty() && practice->form()->person() == whom.person && background.idle() &&
                           copies.idle();
                }))
                return 1;
            practice->propose_now();
            bool planned = false;
            QObject::connect(practice, &ui::PracticePage::planned, [&] { planned = true; });
            if (!wait([&] { return planned; })) return 1;
            practice->findChild<QListWidget*>(QStringLiteral("plan"))->setCurrentRow(4);
            const auto* figure = practice->findChild<ui::FigureView*>();
            if (!wait([&] { return figure->shown() > 3; })) return 1;
            shot(QStringLiteral("practice"));
            auto* pacer = practice->run_now();
            double clock = 0;
            pacer->run().set_clock([&] { return clock; });
            pacer->run().start();
            const auto& course = pacer->run().pacer().timeline();
            for (const auto& s : course.stretches)
                if (s.kind == Stretch::Kind::repeat && s.side == Side::left && s.number == 2) {
                    clock = s.from_s + 0.45 * (s.to_s - s.from_s);
                    break;
                }
            pacer->run().tick();
            if (!wait([&] { return !pacer->picture().figure.isNull(); })) return 1;
            settle(200);
            pacer->grab().save(QStringLiteral("%1/pacer.png").arg(args[2]));
            ++taken;
            pacer->close();
            wait([&] { return practice->findChild<ui::LogDialog*>() != nullptr; }, 3000);
            if (auto* told = practice->findChild<ui::LogDialog*>()) {
                told->grab().save(QStringLiteral("%1/log-dialog.png").arg(args[2]));
                told->close();
            }
            if (!wait([&] { return background.idle(); })) return 1;
            settle(100);
            window.show_place(1);
            window.actions_table().find("settings")->trigger();
            if (!picture_of(window.findChild<QDialog*>(QStringLiteral("settingsDialog")), "settings")) return 1;
            window.actions_table().find("help")->trigger();
            auto* help = window.findChild<ui::HelpWindow*>(QStringLiteral("helpWindow"));
            if (!help) return 1;
            help->show_topic(QStringLiteral("knees"));
            if (!picture_of(help, "help")) return 1;
            break;
        }
    std::printf("%d pictures\n", taken);
    return taken > 0 ? 0 : 1;
}
