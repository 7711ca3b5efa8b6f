// A lesson in seeing in the real window: a clip that is looked at, what is said of it, what is told, the record; clips of the library with
// consent, and without it any more.
#include "core/days.h"
#include "desk/seeing.h"
#include "support/window_bench.h"
#include "ui/seeing/seeing_page.h"
#include <QCheckBox>
#include <QComboBox>
#include <QListWidget>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableView>
#include <QTableWidget>
#include <QTabWidget>
#include <QTreeWidget>

using namespace bevel;
using test::Bench;

class TestLooking : public QObject {
    Q_OBJECT
    test::Copy copy_;

    std::filesystem::path fresh(const char* name) const {
        const std::filesystem::path to = copy_.dir.filePath(QLatin1String(name)).toStdString();
        std::filesystem::copy(copy_.demo, to, std::filesystem::copy_options::recursive);
        return to;
    }
    static ui::SeeingPage* come(Bench& b) {
        auto* page = b.window->seeing();
        QSignalSpy filled(page, &ui::SeeingPage::filled);
        b.window->show_place(b.window->place(QStringLiteral("seeing")));
        if (filled.isEmpty() && !filled.wait(30000)) qFatal("not there");
        return page;
    }
    static bool make(ui::SeeingPage* page, SeeingLevel level, std::uint64_t seed) {
        auto* levels = page->findChild<QComboBox*>(QStringLiteral("seeLevel"));
        levels->setCurrentIndex(static_cast<int>(level));
        QSignalSpy shown(page, &ui::SeeingPage::clip_shown);
        page->next_clip(seed);
        return shown.wait(60000);
    }
    static std::int64_t who(const Library& library, const char* name) {
        const auto people = library.people().all();
        for (const auto& p : *people)
            if (p.name.starts_with(name)) return p.id;
        qFatal("nobody of that name");
    }
    static void agree(Library& library, std::int64_t person, bool to) {
        PersonFacts f = *library.people().facts(person);
        set_consent(f, Purpose::learned, to, today());
        if (!library.people().set_facts(person, f)) qFatal("not written");
    }
    static bool add(ui::SeeingPage* page, const char* name) {
        QSignalSpy filled(page, &ui::SeeingPage::filled);
        page->add_assistant(QLatin1String(name));
        return filled.wait(30000) && page->assistant() != 0;
    }
    /// What is offered that tells the same as what is there.
    static const Sayable* offer_for(const ui::ClipSeen& clip, const Visible& v) {
        const auto check = [&](const std::string& id) {
            return *std::ranges::find_if(clip.review().movement.checks, [&](const Check& c) { return c.id == id; });
        };
        for (const auto& s : clip.offered())
            if (s.direction == v.direction && same_to_the_eye(check(s.check), check(v.check))) return &s;
        return nullptr;
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void a_lesson_is_looked_at_said_and_told() {
        Bench b(fresh("lesson"));
        auto* page = come(b);
        auto* saying = page->saying();
        auto* view = page->view();
        auto* tell = page->findChild<QPushButton*>(QStringLiteral("primary"));
        QVERIFY(!tell->isEnabled()); // nothing is there to be told of
        QVERIFY(add(page, "Sefa Lind"));
        QVERIFY(make(page, SeeingLevel::several, 3));
        const auto* clip = view->clip();
        QVERIFY(clip && clip->exercise && clip->truth().there.size() >= 2);
        QTRY_VERIFY_WITH_TIMEOUT(view->is_current(), 20000);
        // Played at a quarter of its speed, then frame by frame.
        auto* speed = page->findChild<QComboBox*>(QStringLiteral("seeSpeed"));
        speed->setCurrentIndex(2);
        QTest::keyClick(page, Qt::Key_Space);
        QVERIFY(view->plays());
        QTRY_VERIFY_WITH_TIMEOUT(view->shown() > 2, 20000);
        QTest::keyClick(page, Qt::Key_Space);
        QVERIFY(!view->plays() && view->time() > 0 && view->time() < 6);
        const double before = view->time();
        QTest::keyClick(page, Qt::Key_Period);
        QVERIFY(view->time() > before);
        QTest::keyClick(page, Qt::Key_Comma);
        // Nothing of what is there is told before: no lines of the body on the picture, no word of it on the page.
        QVERIFY(!test::says(*page, text_of(*clip)));
        // The first thing that is there at its moment; the second at a wrong one, before it; and one that is not there.
        const auto& there = clip->truth().there;
        const Sayable *one = offer_for(*clip, there[0]), *two = offer_for(*clip, there[1]);
        QVERIFY(one && two);
        const auto side_of = [](const Visible& v) {
            return v.left && v.right ? SaidSide::both : v.left ? SaidSide::left : v.right ? SaidSide::right : SaidSide::none;
        };
        view->set_time(0.5 * (there[1].spans.front().from_s + there[1].spans.front().to_s));
        QVERIFY(saying->choose(two->check, two->direction, side_of(there[1])));
        QTest::keyClick(saying->findChild<QTreeWidget*>(QStringLiteral("offered")), Qt::Key_Return);
        view->set_time(0.5 * (there[0].spans.front().from_s + there[0].spans.front().to_s));
        QVERIFY(saying->choose(one->check, one->direction, side_of(there[0])));
        saying->say();
        auto* list = saying->findChild<QListWidget*>(QStringLiteral("saidList"));
        QCOMPARE(list->count(), 2);
        QCOMPARE(list->currentRow(), 1);
        QTest::keyClick(page, Qt::Key_Up, Qt::AltModifier); // it comes first
        QCOMPARE(saying->said().front().check, one->check);
        page->undo().undo();
        QCOMPARE(saying->said().front().check, two->check);
        page->undo().redo();
        QCOMPARE(saying->said().front().check, one->check);
        list->setCurrentRow(1);
        QTest::keyClick(page, Qt::Key_Delete);
        QCOMPARE(saying->said().size(), 1U);
        page->undo().undo();
        QCOMPARE(saying->said().size(), 2U);
        QSignalSpy kept(page, &ui::SeeingPage::filled);
        tell->click();
        QVERIFY(saying->told());
        QCOMPARE(saying->count().found(), 2);
        QCOMPARE(saying->count().in_order, saying->count().pairs);
        QCOMPARE(saying->count().first_right, std::optional(true));
        auto* truth = saying->findChild<QTableWidget*>(QStringLiteral("whatIsThere"));
        QVERIFY(truth->isVisible() && truth->rowCount() >= static_cast<int>(there.size()));
        QVERIFY(truth->item(0, 1)->text().contains(QStringLiteral("you:")));
        // A row leads to its moment, with the body's lines on the picture.
        view->set_time(0);
        truth->selectRow(1);
        QVERIFY(std::abs(view->time() - there[1].time_s) < 0.01);
        QTRY_VERIFY_WITH_TIMEOUT(view->is_current(), 20000);
        QVERIFY(std::ranges::any_of(view->spoken(), [](const ui::SpokenPart& p) { return p.name.contains(QStringLiteral("shows")); }));
        // Kept, and nothing can be said of it any more.
        QVERIFY(!kept.isEmpty() || kept.wait(30000));
        QCOMPARE(page->rounds().size(), 1U);
        const auto n = saying->said().size();
        saying->say();
        QCOMPARE(saying->said().size(), n);
        QCOMPARE(page->rounds().front().level, std::optional(SeeingLevel::several));
        page->findChild<QTabWidget*>(QStringLiteral("seeingTabs"))->setCurrentIndex(1);
        auto* tallies = page->findChild<QTableView*>(QStringLiteral("seenTallies"));
        QVERIFY(tallies->model()->rowCount() >= 2);
        QCOMPARE(page->findChild<QTableView*>(QStringLiteral("seenRounds"))->model()->rowCount(), 1);
    }

    void what_is_next_is_made_for_what_was_missed() {
        Bench b(fresh("next"));
        const std::vector<Assistant> others = *b.session.library->seeing().assistants();
        for (const auto& other : others) QVERIFY(b.session.library->seeing().drop(other.id).has_value());
        const auto id = *b.session.library->seeing().keep({0, "Sefa Lind"});
        for (int k = 0; k < 3; ++k) {
            SeenRound r;
            r.assistant = id, r.day = today(), r.movement = "side_shift", r.level = SeeingLevel::clear, r.view = View::left;
            r.things.push_back({"S1", "trunk_lean", Direction::high, true, std::nullopt, {}, {}});
            QVERIFY(b.session.library->seeing().keep_round(r).has_value());
        }
        auto* page = come(b); // the only one there is who is looking
        QCOMPARE(page->assistant(), id);
        QCOMPARE(page->next().rule, std::string("S1"));
        QCOMPARE(page->next().level, SeeingLevel::plain);
        QSignalSpy shown(page, &ui::SeeingPage::clip_shown);
        page->findChild<QPushButton*>(QStringLiteral("seeNext"))->click();
        QVERIFY(shown.wait(120000));
        const auto* clip = page->view()->clip();
        QVERIFY(std::ranges::any_of(clip->truth().there, [](const Visible& v) { return v.rule == "S1"; }));
        QCOMPARE(clip->view(), View::left);
        // The same name twice is refused with words, and the record goes with whose it is.
        page->add_assistant(QStringLiteral("Sefa Lind"));
        QTRY_VERIFY_WITH_TIMEOUT(test::says(*page, QStringLiteral("of that name")), 20000);
        QSignalSpy filled(page, &ui::SeeingPage::filled);
        page->remove_assistant();
        QVERIFY(filled.wait(30000));
        QCOMPARE(page->assistant(), 0);
        QVERIFY(b.session.library->seeing().rounds(id)->empty());
    }

    void what_is_being_made_can_be_stopped() {
        Bench b(fresh("stopped"));
        auto* page = come(b);
        auto* go = page->findChild<QPushButton*>(QStringLiteral("seeNew"));
        QSignalSpy shown(page, &ui::SeeingPage::clip_shown);
        go->click();
        QVERIFY(page->making() && go->isEnabled());
        go->click();
        QVERIFY(!page->making());
        QVERIFY(make(page, SeeingLevel::plain, 1)); // the next one comes, and the stopped one does not come after it
        const auto* clip = page->view()->clip();
        QCOMPARE(shown.count(), 1);
        QTest::qWait(300);
        QCOMPARE(page->view()->clip(), clip);
    }

    void clips_of_the_library_are_seen_with_consent_alone() {
        const auto folder = fresh("consent");
        std::int64_t person = 0;
        {
            auto library = *Library::open(folder);
            person = who(library, "Wen");
            const auto people = library.people().all();
            for (const auto& p : *people) agree(library, p.id, p.id == person);
        }
        Bench b(folder);
        auto& library = *b.session.library;
        const auto forms = b.session.forms();
        // At every door: the list, and the way to one clip.
        const auto clips = clips_to_see(library, forms, today());
        QVERIFY(clips && !clips->empty());
        const auto all = library.clips().all();
        for (const auto& c : *all) {
            const bool listed = std::ranges::any_of(*clips, [&](const Clip& l) { return l.id == c.id; });
            QVERIFY(!listed || c.person == person);
            if (c.person == person) continue;
            const auto seen = clip_to_see(library, forms, c.id, today());
            QVERIFY(!seen && seen.error().code == Code::cannot_judge && seen.error().context == "consent");
        }
        // Of two phones at once one film is seen, and what it tells by itself counts.
        int of_pairs = 0;
        for (const auto& c : *clips) {
            if (c.pair == 0) continue;
            const auto seen = clip_to_see(library, forms, c.id, today());
            QVERIFY(seen.has_value());
            QCOMPARE(std::string(view_name(seen->review->motion.view)), c.view);
            QVERIFY(!seen->review->partner);
            ++of_pairs;
        }
        QCOMPARE(of_pairs, 2);
        auto* page = come(b);
        QVERIFY(add(page, "Sefa Lind"));
        page->findChild<QComboBox*>(QStringLiteral("seeFrom"))->setCurrentIndex(1);
        QSignalSpy shown(page, &ui::SeeingPage::clip_shown);
        page->next_clip();
        QVERIFY(shown.wait(60000));
        const auto* clip = page->view()->clip();
        QVERIFY(clip && clip->kept);
        const auto id = clip->kept->open->clip.id;
        QTRY_VERIFY_WITH_TIMEOUT(page->view()->is_current(), 20000);
        // Nobody is named.
        const auto name = QString::fromStdString(clip->kept->open->person.name);
        QVERIFY(!test::says(*page, name) && !test::says(*page, name.section(QLatin1Char(' '), 0, 0)));
        QSignalSpy kept(page, &ui::SeeingPage::filled);
        page->saying()->tell();
        QVERIFY(kept.wait(30000));
        QCOMPARE(page->rounds().front().clip, id);
        QVERIFY(!page->rounds().front().level);
        // What the instructor set aside counts for nothing.
        const auto open = clip->kept->open;
        for (const auto& f : open->review->findings)
            if (f.verdict == Verdict::outside)
                QVERIFY(library.decisions().decide(id, Decision(FindingKey::of(f), Choice::set_aside)).has_value());
        const auto again = clip_to_see(library, forms, id, today());
        QVERIFY(again && again->truth.there.empty() && again->truth.open.size() >= clip->truth().open.size());
        // Another clip is taken next; and taken back, none: what is on the screen goes too.
        page->next_clip();
        QVERIFY(shown.wait(60000));
        agree(library, person, false);
        page->open({});
        QTRY_VERIFY_WITH_TIMEOUT(page->view()->clip() == nullptr, 20000);
        page->next_clip();
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && !page->making(), 20000);
        QVERIFY(page->view()->clip() == nullptr || page->view()->clip()->exercise);
        // Who is erased leaves counts that name nobody.
        QVERIFY(library.people().erase(person).has_value());
        const auto rounds = *library.seeing().rounds(page->assistant());
        QCOMPARE(rounds.size(), 1U);
        QCOMPARE(rounds.front().clip, 0);
    }

    void consent_is_dated_and_can_be_taken_back() {
        PersonFacts f;
        QVERIFY(!agrees(f, Purpose::learned, "2026-12-02"));
        f.consent = "to everything"; // words are no purpose
        QVERIFY(!agrees(f, Purpose::learned, "2026-12-02"));
        set_consent(f, Purpose::learned, true, "2026-11-01");
        set_consent(f, Purpose::learned, true, "2026-11-05"); // as it is already
        QCOMPARE(f.consents.size(), 1U);
        QVERIFY(!agrees(f, Purpose::learned, "2026-10-31"));
        QVERIFY(agrees(f, Purpose::learned, "2026-11-01"));
        QVERIFY(!agrees(f, Purpose::shown, "2026-11-01"));
        set_consent(f, Purpose::learned, false, "2026-12-01");
        QVERIFY(agrees(f, Purpose::learned, "2026-11-30"));
        QVERIFY(!agrees(f, Purpose::learned, "2026-12-01"));
        QCOMPARE(f.consents.size(), 1U); // what was, stays
        set_consent(f, Purpose::learned, true, "2026-12-02");
        set_consent(f, Purpose::learned, false, "2026-12-02"); // a slip of the hand
        QCOMPARE(f.consents.size(), 1U);
        auto library = *Library::open(fresh("dated"));
        const auto id = who(library, "Wen");
        QVERIFY(library.people().set_facts(id, f).has_value());
        QVERIFY(library.people().facts(id)->consents == f.consents);
        f.consents.push_back({Purpose::kept, "some day", {}});
        QVERIFY(!library.people().set_facts(id, f));
    }
    void consent_is_ticked_in_people_and_undone() {
        Bench b(fresh("ticked"));
        const auto id = who(*b.session.library, "Wen");
        auto* people = b.window->people();
        b.window->show_place(b.window->place(QStringLiteral("people")));
        QSignalSpy filled(people, &ui::PeoplePage::filled);
        people->show_person(id);
        QVERIFY(filled.wait(30000));
        const auto agreed = [&] { return agrees(*b.session.library->people().facts(id), Purpose::learned, today()); };
        const bool before = agreed();
        auto* tick = people->findChild<QCheckBox*>(QStringLiteral("consent_learned"));
        QCOMPARE(tick->isChecked(), before);
        tick->click();
        QTRY_COMPARE_WITH_TIMEOUT(agreed(), !before, 20000);
        people->undo().undo();
        QTRY_COMPARE_WITH_TIMEOUT(agreed(), before, 20000);
        QTRY_COMPARE_WITH_TIMEOUT(tick->isChecked(), before, 20000);
    }
    void a_damaged_round_hides_nobody() {
        auto library = *Library::open(fresh("damaged"));
        auto& store = library;
        QVERIFY(!store.seeing().keep({0, "  "}));
        QVERIFY(!store.seeing().keep({0, std::string(4000, 'x')}));
        const auto id = *store.seeing().keep({0, "Sefa"});
        QVERIFY(!store.seeing().keep({0, "Sefa"}));
        QCOMPARE(*store.seeing().keep({id, "Sefa Lind"}), id);
        SeenRound r;
        r.assistant = id, r.movement = "side_shift";
        QVERIFY(!store.seeing().keep_round(r)); // no day
        r.day = "2026-12-01";
        const auto kept = *store.seeing().keep_round(r);
        r.day = "2026-12-02";
        QVERIFY(store.seeing().keep_round(r).has_value());
        QCOMPARE(store.seeing().rounds(id)->front().day, std::string("2026-12-02"));
        QVERIFY(kept != store.seeing().rounds(id)->front().id);
        r.assistant = id + 40;
        QVERIFY(!store.seeing().keep_round(r)); // of nobody
    }

private:
    /// The sentence of the first thing that is there.
    static QString text_of(const ui::ClipSeen& clip) {
        return QString::fromStdString(clip.review().findings[clip.truth().there.front().finding].cue);
    }
};
QTEST_MAIN(TestLooking)
#include "test_looking.moc"
