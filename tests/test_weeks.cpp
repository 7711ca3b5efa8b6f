// Courses of a person: kept, made anew by what has happened, and in the real window as threads that are moved, slid, planned from and
// exported.
#include "core/files.h"
#include "core/practice/gate.h"
#include "desk/courses.h"
#include "desk/open_review.h"
#include "support/window_bench.h"
#include "ui/practice/practice_page.h"
#include "ui/text/course_words.h"
#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTabWidget>

using namespace bevel;
using test::Bench;

namespace {

std::string day(int from_today) {
    return QDate::currentDate().addDays(from_today).toString(Qt::ISODate).toStdString();
}
bool done(Beat b) {
    return b != Beat::not_yet && b != Beat::rests;
}
int week_of_beginning(const Course& c, const std::string& key) {
    for (const auto& t : c.threads)
        for (std::size_t w = 0; w < t.beats.size(); ++w)
            if (t.key() == key && t.beats[w] == Beat::begins && !c.weeks[w].missed) return static_cast<int>(w);
    return -1;
}
bool comes_from(const Course& c, const std::string& key, std::size_t from) {
    for (const auto& t : c.threads)
        for (std::size_t w = from; w < t.beats.size(); ++w)
            if (t.key() == key && done(t.beats[w])) return true;
    return false;
}

} // namespace

class TestWeeks : public QObject {
    Q_OBJECT
    test::Copy copy_;
    Forms forms_;

    std::filesystem::path fresh(const char* name) const {
        const std::filesystem::path to = copy_.dir.filePath(QLatin1String(name)).toStdString();
        std::filesystem::copy(copy_.demo, to, std::filesystem::copy_options::recursive);
        return to;
    }
    static std::int64_t who(const Library& library, const char* name) {
        const auto people = library.people().all();
        for (const auto& p : *people)
            if (p.name.starts_with(name)) return p.id;
        qFatal("nobody of that name");
    }
    /// The page with the course of that person in front.
    static ui::WeeksView* come(Bench& b, qint64 person) {
        b.window->show_place(b.window->place(QStringLiteral("practice")));
        auto* page = b.window->practice();
        ui::Ref ref;
        ref.person = person;
        page->open(ref);
        if (!QTest::qWaitFor([&] { return page->form()->person() == person && b.background.idle() && b.copies.idle(); }, 60000))
            qFatal("not there");
        QSignalSpy filled(page->course(), &ui::WeeksView::filled);
        page->findChild<QTabWidget*>(QStringLiteral("practiceTabs"))->setCurrentWidget(page->course());
        if (!filled.wait(60000)) qFatal("no course");
        return page->course();
    }
    /// A course of that person that began so many days ago, in the library.
    CourseOf kept(Library& library, std::int64_t person, int began, const std::vector<std::string>& wanted, int weeks = 8) const {
        CourseOf c;
        c.person = person, c.title = "Under way";
        c.wish.from = day(-began), c.wish.weeks = weeks, c.wish.wanted = wanted;
        const auto sheet = course_sheet(library, forms_, person, day(0));
        c.made = *make_course(c.wish, *sheet, forms_, nullptr, c.wish.from);
        c.made_of = basis_of(*sheet);
        c.id = *keep_course(library, c);
        return c;
    }
    /// A movement that everybody may do and nobody who is not to stand on one leg.
    std::string barred_without_balance() const {
        Needs free, limited;
        limited.limits = {"no_balance"};
        for (const auto& m : *forms_.movements)
            if (traits_of(m).form && !pass(m, free).barred && pass(m, limited).barred) return m.id;
        qFatal("none is barred");
    }
    static int row_of(const ui::WeeksView& view, const std::string& key) {
        const auto* m = static_cast<const ui::ThreadsModel*>(view.findChild<QTableView*>(QStringLiteral("courseThreads"))->model());
        for (int r = 0; r < m->rowCount(); ++r)
            if (m->thread(r) && m->thread(r)->key() == key) return r;
        return -1;
    }
    static void choose(ui::WeeksView& view, const std::string& key, int week) {
        auto* table = view.threads();
        table->setCurrentIndex(table->model()->index(row_of(view, key), week));
    }

private slots:
    void initTestCase() {
        QVERIFY(copy_.make());
        const auto movements = load_movements(test::data_dir());
        const auto linked = load_forms(test::data_dir());
        forms_ = {std::make_shared<const std::vector<Movement>>(movements),
                  std::make_shared<const std::vector<School>>(load_schools(test::data_dir())),
                  std::make_shared<const std::vector<LinkedForm>>(linked),
                  std::make_shared<const std::vector<Movement>>(Forms::faces_of(linked, movements))};
    }

    void a_wish_comes_back_as_it_was_and_a_broken_one_is_refused() {
        CourseWish w;
        w.from = "2026-12-07", w.weeks = 12, w.lessons = 0, w.home_days = 5, w.home_minutes = 12.5, w.slide = false;
        w.wanted = {"gaze_at_the_moon", "no \"such\" one"};
        w.form = "side_steps", w.form_known = 2, w.themes = {"balance"}, w.wall = false, w.stick = true;
        w.begins = {{"movement gaze_at_the_moon", 3}};
        const std::string text = wish_text(w, "known \xff then");
        const auto back = parse_wish(text);
        QVERIFY2(back, back ? "" : back.error().context.c_str());
        QCOMPARE(back->first, w);
        CourseWish all = w;
        for (int n = 0; n < 300; ++n) all.wanted.push_back("movement_" + std::to_string(n));
        QCOMPARE(parse_wish(wish_text(all, ""))->first, all);
        for (std::size_t n = 0; n < text.size(); n += 3) QVERIFY(!parse_wish(text.substr(0, n)));
        for (std::size_t at = 0; at < text.size(); ++at) {
            std::string bad = text;
            bad[at] = static_cast<char>(bad[at] ^ 5);
            if (const auto read = parse_wish(bad)) // still a wish: in its bounds
                QVERIFY(read->first.weeks >= least_weeks && read->first.weeks <= most_weeks && read->first.home_minutes <= 180);
        }
        for (const char* bad : {"", "[]", "{}", "null", R"({"bevel_course_wish":2})"}) QVERIFY(!parse_wish(bad));
    }

    void courses_are_kept_taken_out_put_back_and_erased_with_their_person() {
        Library lib = *Library::open(fresh("store"));
        const auto noor = who(lib, "Noor"), wen = who(lib, "Wen");
        const auto one = kept(lib, noor, 0, {"walk_backward"});
        const auto two = kept(lib, noor, 7, {});
        QCOMPARE(lib.courses().of(noor)->size(), std::size_t{2});
        QCOMPARE(lib.courses().of(noor)->front().id, two.id); // newest first
        QVERIFY(lib.courses().of(wen)->empty());
        const auto sheet = course_sheet(lib, forms_, noor, day(0));
        QCOMPARE(sheet->courses.back(), one);
        QVERIFY(lib.courses().drop(one.id));
        QCOMPARE(lib.courses().of(noor)->size(), std::size_t{1});
        QCOMPARE(*keep_course(lib, one), one.id);
        QCOMPARE(lib.courses().of(noor)->back().title, std::string("Under way"));
        QVERIFY(!lib.courses().keep({0, noor, std::string(401, 'x'), "", ""}));
        QVERIFY(!lib.courses().keep({0, noor, "", std::string(3U << 20U, 'x'), ""}));
        QVERIFY(!lib.courses().keep({0, 999, "", "", ""})); // nobody's
        // A damaged one hides no other, and stays.
        QVERIFY(lib.courses().keep({two.id, noor, "damaged", "{", "{}"}));
        const auto after = course_sheet(lib, forms_, noor, day(0));
        QCOMPARE(after->courses.size(), std::size_t{1});
        QCOMPARE(after->unreadable, 1);
        QVERIFY(lib.people().erase(noor));
        QVERIFY(lib.courses().of(noor)->empty());
    }

    void what_is_settled_is_sure_in_two_clips_two_weeks_apart() {
        Library lib = *Library::open(fresh("settled"));
        const auto ilse = who(lib, "Ilse");
        std::vector<AskedFor> all;
        for (const auto& r : rule_book().rules) all.push_back({"gaze_at_the_moon", r.id, ""});
        const auto settled = settled_corrections(lib, forms_, ilse, all);
        QVERIFY(settled);
        // By another way: of each rule, what the newest clip and an older one say.
        ClipQuery of;
        of.person = ilse;
        std::vector<std::shared_ptr<const OpenReview>> open;
        const auto clips = *lib.clips().find(of);
        for (const auto& c : clips)
            if (c.movement == "gaze_at_the_moon")
                if (const auto r = load_review(lib, forms_, c.id, {})) open.push_back(*r);
        QVERIFY2(open.size() >= 3, qPrintable(QString::number(open.size())));
        const auto sure = [](const OpenReview& r, const std::string& rule) {
            int told = 0, inside = 0;
            for (const auto& f : r.review->findings)
                if (f.rule == rule && f.verdict != Verdict::cannot_tell) ++told, inside += f.verdict == Verdict::inside && f.sure ? 1 : 0;
            return told == 0 ? std::optional<bool>() : std::optional(told == inside);
        };
        std::size_t yes = 0, no = 0;
        for (const auto& a : all) {
            const bool is = settled->contains("rule " + a.rule + " gaze_at_the_moon");
            int inside = 0, outside = 0;
            for (const auto& r : open)
                if (const auto s = sure(*r, a.rule)) (*s ? inside : outside)++;
            if (is) QVERIFY2(inside >= 2, a.rule.c_str());
            if (outside > 0 && inside == 0) QVERIFY2(!is, a.rule.c_str());
            ++(is ? yes : no);
        }
        QVERIFY2(yes > 0 && no > 0, qPrintable(QStringLiteral("%1 settled, %2 not").arg(yes).arg(no)));
        // A check that no clip of hers tells from the front is not settled by another of its rule that is.
        QVERIFY(settled->contains("rule W4 gaze_at_the_moon"));
        AskedFor unseen{"gaze_at_the_moon", "W4", ""};
        unseen.check = "not told here";
        QVERIFY(settled_corrections(lib, forms_, ilse, {unseen})->empty());
        // What her letter asks for is not: her lean was outside.
        const auto known = person_needs(lib, ilse, day(0), forms_);
        QVERIFY(!known->asked.empty());
        const auto asked = settled_corrections(lib, forms_, ilse, known->asked);
        QVERIFY(asked->empty());
        // Nobody's clips settle nothing.
        QVERIFY(settled_corrections(lib, forms_, who(lib, "Tomas"), all)->empty());
    }

    void weeks_without_anything_are_asked_about_and_a_limit_moves_the_rest() {
        Library lib = *Library::open(fresh("moved"));
        const auto tomas = who(lib, "Tomas");
        const std::string barred = barred_without_balance(), key = "movement " + barred;
        auto c = kept(lib, tomas, 24, {barred, "walk_backward", "clouds_with_a_step"});
        QVERIFY(comes_from(c.made, key, 3));
        PracticeLog log;
        log.person = tomas, log.minutes = 20;
        for (const int ago : {22, 8}) { // weeks 1 and 3
            log.day = day(-ago);
            QVERIFY(lib.practice().keep(log));
        }
        auto sheet = *course_sheet(lib, forms_, tomas, day(0));
        // His clips and lessons in November fall into it or not, by the day of today: those days are no quiet weeks either.
        for (const auto w : quiet_weeks(c.made, sheet.done_on, day(0))) {
            QVERIFY(w < 3 && w != 0 && w != 2);
            for (const auto& d : sheet.done_on) QVERIFY(d < c.made.weeks[w].from || d >= days_after(c.made.weeks[w].from, 7));
        }
        QCOMPARE(weeks_over(c.made, day(0)), std::size_t{3});
        QCOMPARE(basis_of(sheet), c.made_of);
        // A log with pain of this week is told of, an old one is not.
        log.day = day(-2), log.pain = "left knee";
        QVERIFY(lib.practice().keep(log));
        QCOMPARE(course_sheet(lib, forms_, tomas, day(0))->pain, std::string("left knee"));
        QCOMPARE(course_sheet(lib, forms_, tomas, day(30))->pain, std::string());
        // A limit bars one movement: it goes out from this week on, what was stays.
        Agreement limit;
        limit.person = tomas, limit.check = "limit.no_balance", limit.off = true, limit.reason = "dizzy of late", limit.from_day = day(0);
        QVERIFY(lib.decisions().save_agreement(limit));
        sheet = *course_sheet(lib, forms_, tomas, day(0));
        QVERIFY(basis_of(sheet) != c.made_of);
        const auto after = *make_course(c.wish, sheet, forms_, &c.made, day(0));
        const auto needs = needs_of_course(c.wish, sheet, forms_);
        for (const auto& t : after.threads)
            if (t.kind == ThreadKind::movement && comes_from(after, t.key(), 3))
                QVERIFY2(!pass(*movement_named(*forms_.movements, t.of), needs.needs).barred, t.of.c_str());
        for (std::size_t w = 0; w < 3; ++w) QCOMPARE(after.weeks[w], c.made.weeks[w]);
        const auto changes = changes_of(c.made, after, 3);
        QVERIFY(!changes.empty());
        for (const auto& x : changes)
            if (x.code == CourseChange::Code::goes_out) QVERIFY(comes_from(c.made, x.key, 3) && !comes_from(after, x.key, 3));
        QVERIFY(std::any_of(changes.begin(), changes.end(),
                            [&](const auto& x) { return x.key == key && x.code == CourseChange::Code::goes_out; }));
        QVERIFY(!comes_from(after, key, 3));
        QVERIFY(changes_of(after, after, 3).empty());
    }

    void what_a_course_brought_stays_its_own_when_a_clip_of_it_comes() {
        Library lib = *Library::open(fresh("own"));
        const auto wen = who(lib, "Wen");
        auto c = kept(lib, wen, 14, {"heavy_palms", "walk_backward"}, 6);
        const auto first = c.made.fresh_in(0);
        QVERIFY(first && first->kind == ThreadKind::movement);
        auto sheet = *course_sheet(lib, forms_, wen, day(0));
        sheet.known.practised.push_back(first->of);
        const auto after = *make_course(c.wish, sheet, forms_, &c.made, day(0));
        for (const auto& t : after.threads)
            if (t.key() == first->key()) {
                QVERIFY(!t.known);
                QVERIFY(t.beats.back() == Beat::recalled); // what was taught in it is recalled at its end
            }
    }

    void the_course_of_the_demo_stands_as_threads() {
        Bench b(fresh("threads"));
        auto* view = come(b, who(*b.session.library, "Ilse"));
        QCOMPARE(view->course().title, std::string("Steady on the quay steps"));
        QCOMPARE(view->course().made.weeks.size(), std::size_t{11}); // ten and a missed one
        auto* m = view->threads()->model();
        QCOMPARE(m->columnCount(), 11);
        QCOMPARE(m->rowCount(), static_cast<int>(view->course().made.threads.size()) + 1);
        choose(*view, "ladder", 6);
        const auto* week = view->findChild<QLabel*>(QStringLiteral("courseWeek"));
        const auto* why = view->findChild<QLabel*>(QStringLiteral("courseWhy"));
        QVERIFY2(week->text().startsWith(QStringLiteral("Week 7")), qPrintable(week->text()));
        QVERIFY(why->text().startsWith(QStringLiteral("Balance.")));
        QCOMPARE(m->index(0, 2).data().toString().contains(QStringLiteral("missed")), true);
        // Every cell says in words what it shows, and each week at most one thing is new.
        for (int c = 0; c < m->columnCount(); ++c) {
            int fresh = 0;
            for (int r = 1; r < m->rowCount(); ++r) {
                QVERIFY(!m->index(r, c).data().toString().isEmpty());
                QVERIFY(m->index(r, c).data(Qt::AccessibleTextRole).toString().contains(QString::number(c + 1)));
                const QString words = m->index(r, c).data().toString();
                fresh += words == QLatin1String("new") || words == QLatin1String("goes on") ? 1 : 0;
            }
            QVERIFY(fresh <= 1);
        }
        QTRY_VERIFY_WITH_TIMEOUT(test::clipped(*b.window, QStringLiteral("course")).isEmpty(), 5000);
    }

    void a_course_is_made_moved_by_keys_and_mouse_and_undone() {
        Bench b(fresh("made"));
        const auto tomas = who(*b.session.library, "Tomas");
        auto* view = come(b, tomas);
        QCOMPARE(view->course().id, std::int64_t{0}); // offered, not kept
        QVERIFY(b.session.library->courses().of(tomas)->empty());
        auto* movement = view->findChild<QComboBox*>(QStringLiteral("courseMovement"));
        for (const char* id : {"walk_backward", "heavy_palms", "gaze_at_the_moon"}) {
            movement->setCurrentIndex(movement->findData(QLatin1String(id)));
            QTest::mouseClick(view->findChild<QPushButton*>(QStringLiteral("courseWant")), Qt::LeftButton);
        }
        QCOMPARE(view->course().wish.wanted.size(), std::size_t{3});
        auto* wanted = view->findChild<QListWidget*>(QStringLiteral("courseWanted"));
        wanted->setCurrentRow(2);
        wanted->setFocus();
        QTest::keyClick(wanted, Qt::Key_Delete);
        QCOMPARE(view->course().wish.wanted, (std::vector<std::string>{"walk_backward", "heavy_palms"}));
        auto* title = view->findChild<QLineEdit*>(QStringLiteral("courseTitle"));
        title->setText(QStringLiteral("<b>Winter</b> & more"));
        emit title->editingFinished();
        QSignalSpy kept(view, &ui::WeeksView::kept);
        QTest::mouseClick(view->findChild<QPushButton*>(QStringLiteral("primary")), Qt::LeftButton);
        QVERIFY(kept.wait(20000));
        const auto in_library = [&] {
            const auto sheet = course_sheet(*b.session.library, forms_, tomas, day(0));
            return sheet && !sheet->courses.empty() ? sheet->courses.front() : CourseOf{};
        };
        QCOMPARE(in_library(), view->course());
        QCOMPARE(in_library().title, std::string("<b>Winter</b> & more"));
        // By the key: it begins in the chosen week and is nailed there.
        const std::string key = "movement heavy_palms";
        const int was = week_of_beginning(view->course().made, key);
        QVERIFY(was >= 0);
        const int to = was == 4 ? 5 : 4;
        choose(*view, key, to);
        view->threads()->setFocus();
        QTest::keyClick(view->threads(), Qt::Key_B);
        QTRY_COMPARE_WITH_TIMEOUT(week_of_beginning(view->course().made, key), to, 20000);
        QTRY_COMPARE_WITH_TIMEOUT(in_library().wish.begins[key], to + 1, 20000);
        QVERIFY(view->findChild<QLabel*>(QStringLiteral("courseWhy"))->text().contains(QStringLiteral("Set by hand")));
        // Another cannot begin in the same week, nor any in a lighter one: it is said, and nothing moves.
        const auto before = view->course();
        choose(*view, "movement walk_backward", to);
        QTest::keyClick(view->threads(), Qt::Key_B);
        QVERIFY(view->notice()->text().contains(QStringLiteral("one new thing")));
        QCOMPARE(view->course(), before);
        choose(*view, key, 3);
        QCOMPARE(view->course().made.weeks[3].kind, WeekKind::lighter);
        QTest::keyClick(view->threads(), Qt::Key_B);
        QCOMPARE(view->course(), before);
        // By the mouse: its mark is dragged to another week.
        auto* table = view->threads();
        const auto at = [&](int week) { return table->visualRect(table->model()->index(row_of(*view, key), week)).center(); };
        QTest::mousePress(table->viewport(), Qt::LeftButton, {}, at(to));
        QTest::mouseMove(table->viewport(), at(1));
        QTest::mouseRelease(table->viewport(), Qt::LeftButton, {}, at(1));
        QTRY_COMPARE_WITH_TIMEOUT(week_of_beginning(view->course().made, key), 1, 20000);
        // Left to the course again, and back step by step.
        choose(*view, key, 1);
        QTest::keyClick(table, Qt::Key_Delete);
        QTRY_VERIFY_WITH_TIMEOUT(in_library().wish.begins.empty(), 20000);
        auto& undo = b.window->practice()->undo();
        undo.undo();
        undo.undo();
        undo.undo();
        QTRY_COMPARE_WITH_TIMEOUT(week_of_beginning(in_library().made, key), was, 20000);
        undo.redo();
        QTRY_COMPARE_WITH_TIMEOUT(week_of_beginning(in_library().made, key), to, 20000);
        // Taken out, and back.
        QTest::mouseClick(view->findChild<QPushButton*>(QStringLiteral("courseRemove")), Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->courses().of(tomas)->empty() && view->course().id == 0, 20000);
        undo.undo();
        QTRY_COMPARE_WITH_TIMEOUT(b.session.library->courses().of(tomas)->size(), std::size_t{1}, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(view->course().id != 0, 20000);
    }

    void what_is_not_kept_yet_outlives_a_look_elsewhere() {
        Bench b(fresh("draft"));
        const auto tomas = who(*b.session.library, "Tomas");
        auto* view = come(b, tomas);
        view->form()->add_wanted("walk_backward");
        view->findChild<QSpinBox*>(QStringLiteral("courseWeeks"))->setValue(6);
        QCOMPARE(view->course().made.weeks.size(), std::size_t{6});
        const auto before = view->course();
        auto* tabs = b.window->practice()->findChild<QTabWidget*>(QStringLiteral("practiceTabs"));
        tabs->setCurrentIndex(0);
        QSignalSpy filled(view, &ui::WeeksView::filled);
        tabs->setCurrentWidget(view);
        QVERIFY(filled.wait(60000));
        QCOMPARE(view->course(), before);
        // What is known already, and what has begun, begins nowhere else.
        const auto known = std::find_if(before.made.threads.begin(), before.made.threads.end(), [](const auto& t) { return t.known; });
        QVERIFY(known != before.made.threads.end());
        choose(*view, known->key(), 4);
        view->threads()->setFocus();
        QTest::keyClick(view->threads(), Qt::Key_B);
        QVERIFY(view->notice()->text().contains(QStringLiteral("known already")));
        QCOMPARE(view->course(), before);
    }

    void a_missed_week_slides_and_a_coming_one_cannot_be_missed() {
        const auto folder = fresh("missed");
        std::int64_t wen = 0;
        {
            Library lib = *Library::open(folder);
            wen = who(lib, "Wen");
            (void)kept(lib, wen, 15, {"walk_backward", "heavy_palms", "clouds_with_a_step", "creep_low"}, 6);
        }
        Bench b(folder);
        auto* view = come(b, wen);
        QCOMPARE(view->course().made.weeks.size(), std::size_t{6});
        choose(*view, "movement walk_backward", 4);
        QTest::keyClick(view->threads(), Qt::Key_M);
        QVERIFY(view->notice()->text().contains(QStringLiteral("over")));
        const auto before = view->course();
        choose(*view, "movement walk_backward", 1);
        view->threads()->setFocus();
        QTest::keyClick(view->threads(), Qt::Key_M);
        QTRY_COMPARE_WITH_TIMEOUT(view->course().made.weeks.size(), std::size_t{7}, 20000);
        QVERIFY(view->course().made.weeks[1].missed);
        // What it would have brought begins once more.
        const auto* lost = before.made.fresh_in(1);
        QVERIFY(lost);
        QVERIFY2(week_of_beginning(view->course().made, lost->key()) >= 2, lost->key().c_str());
        QTest::keyClick(view->threads(), Qt::Key_M); // it was not, after all
        QTRY_COMPARE_WITH_TIMEOUT(view->course().made.weeks.size(), std::size_t{6}, 20000);
        // Folded in where that is asked for.
        auto* missed = view->findChild<QComboBox*>(QStringLiteral("courseMissed"));
        missed->setCurrentIndex(1);
        emit missed->activated(1);
        choose(*view, "movement walk_backward", 1);
        QTest::keyClick(view->threads(), Qt::Key_M);
        QTRY_VERIFY_WITH_TIMEOUT(view->course().made.weeks[1].missed, 20000);
        QCOMPARE(view->course().made.weeks.size(), std::size_t{6});
    }

    void what_has_happened_is_said_and_followed_when_asked() {
        const auto folder = fresh("happened");
        std::int64_t paulo = 0;
        const std::string barred = barred_without_balance(), key = "movement " + barred;
        {
            Library lib = *Library::open(folder);
            paulo = who(lib, "Paulo");
            (void)kept(lib, paulo, 1, {barred, "walk_backward"}, 6);
            Agreement limit;
            limit.person = paulo, limit.check = "limit.no_balance", limit.off = true, limit.reason = "for now", limit.from_day = day(0);
            QVERIFY(lib.decisions().save_agreement(limit));
        }
        Bench b(folder);
        auto* view = come(b, paulo);
        QVERIFY(comes_from(view->course().made, key, 0)); // nothing moves by itself
        QVERIFY2(view->notice()->text().contains(QStringLiteral("has changed since")), qPrintable(view->notice()->text()));
        QTest::mouseClick(view->notice()->findChild<QPushButton*>(QStringLiteral("wayOut")), Qt::LeftButton);
        QTRY_VERIFY_WITH_TIMEOUT(!comes_from(view->course().made, key, 0), 20000);
        QVERIFY(!view->notice()->text().contains(QStringLiteral("has changed since")));
        QVERIFY(std::any_of(view->course().made.left_out.begin(), view->course().made.left_out.end(),
                            [&](const auto& l) { return l.key == key && l.code == LeftOut::Code::limit; }));
        QVERIFY(view->findChild<QLabel*>(QStringLiteral("faint")));
        // Even before it is followed a day of it passes the gate: here of every week.
        b.window->practice()->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(comes_from(view->course().made, key, 0) && b.background.idle(), 20000);
        const auto needs = needs_of_course(view->course().wish, view->sheet(), forms_);
        for (std::size_t w = 0; w < view->course().made.weeks.size(); ++w) {
            const auto plan = propose(day_of_course(view->course().made, needs, w, true, needs.needs), *forms_.movements);
            QVERIFY(plan);
            for (const auto& i : plan->items) QVERIFY(i.movement != barred);
        }
    }

    void a_lesson_of_a_week_is_planned_from_it() {
        Bench b(fresh("lesson"));
        auto* view = come(b, who(*b.session.library, "Ilse"));
        auto* page = b.window->practice();
        choose(*view, "movement part_the_horses_mane", week_of_beginning(view->course().made, "movement part_the_horses_mane"));
        const auto w = static_cast<std::size_t>(view->threads()->currentIndex().column());
        QSignalSpy planned(page, &ui::PracticePage::planned);
        QTest::mouseClick(view->findChild<QPushButton*>(QStringLiteral("courseLesson")), Qt::LeftButton);
        QVERIFY(planned.wait(60000));
        QCOMPARE(page->findChild<QTabWidget*>(QStringLiteral("practiceTabs"))->currentIndex(), 0);
        QVERIFY(std::abs(page->plan().total_s() / 60 - view->course().made.weeks[w].lesson_minutes) < 4);
        QVERIFY(std::any_of(page->plan().items.begin(), page->plan().items.end(),
                            [](const PlanItem& i) { return i.movement == "part_the_horses_mane"; }));
        QVERIFY(page->plan().title.find("of week") != std::string::npos);
        // What the week does not drill on is not asked for, though the letter did.
        const auto asked = page->form()->needs().asked;
        for (const auto& a : asked) {
            const std::string key = "rule " + a.rule + " " + a.movement;
            QVERIFY(std::any_of(view->course().made.threads.begin(), view->course().made.threads.end(),
                                [&](const CourseThread& t) { return t.key() == key && done(t.beats[w]); }));
        }
        for (const auto& i : page->plan().items)
            if (const Movement* m = movement_of(i, *forms_.movements)) QVERIFY(!pass(*m, page->form()->needs()).barred);
        // The limits of today hold whatever the course says; another person lets go of it.
        QVERIFY(page->form()->needs().limits.contains("high_stance"));
        auto* without = page->findChild<QPushButton*>(QStringLiteral("planWithoutCourse"));
        QVERIFY(without->isVisible());
        QTest::mouseClick(without, Qt::LeftButton);
        QVERIFY(!without->isVisible());
        QCOMPARE(page->form()->needs().asked.size(), view->sheet().known.asked.size());
    }

    void it_goes_out_as_sheet_page_calendar_and_with_sound_beside() {
        const auto folder = fresh("out");
        std::int64_t noor = 0;
        {
            Library lib = *Library::open(folder);
            noor = who(lib, "Noor");
            CourseOf c;
            c.person = noor, c.title = "A & <i>b</i>";
            c.wish.from = day(0), c.wish.weeks = 4, c.wish.wanted = {"heavy_palms"}, c.wish.home_minutes = 4, c.wish.lessons = 0;
            const auto sheet = course_sheet(lib, forms_, noor, day(0));
            c.made = *make_course(c.wish, *sheet, forms_, nullptr, day(0));
            c.made_of = basis_of(*sheet);
            QVERIFY(keep_course(lib, c));
        }
        Bench b(folder);
        auto* view = come(b, noor);
        const auto write = [&](const char* name, const QString& beside) {
            const QString file = copy_.dir.filePath(QLatin1String(name));
            QSignalSpy exported(view, &ui::WeeksView::exported);
            view->export_to(file, beside);
            return exported.wait(240000) ? *read_text(file.toStdString(), 64U << 20U) : std::string();
        };
        QVERIFY(write("wall.pdf", {}).starts_with("%PDF"));
        const std::string dates = write("dates.ics", {});
        QCOMPARE(QString::fromStdString(dates).count(QStringLiteral("BEGIN:VEVENT")), 4 * 3);
        const std::string page = write("my course #1.html", QStringLiteral("ogg"));
        QVERIFY(page.find("<i>b</i>") == std::string::npos && page.find("&lt;i&gt;b") != std::string::npos);
        QVERIFY(page.find("Noor") == std::string::npos && page.find("Haddad") == std::string::npos);
        QVERIFY(page.find("my%20course%20%231-week-1.ogg") != std::string::npos);
        int sounds = 0;
        for (int w = 1; w <= 4; ++w)
            sounds += QFile(copy_.dir.filePath(QStringLiteral("my course #1-week-%1.ogg").arg(w))).size() > 10000 ? 1 : 0;
        QCOMPARE(sounds, 4);
        QCOMPARE(QString::fromStdString(page).count(QStringLiteral(".ogg")), 4);
    }

    void nobody_chosen_nothing_to_do_and_another_person_has_their_own() {
        Bench b(fresh("nobody"));
        const auto ilse = who(*b.session.library, "Ilse"), wen = who(*b.session.library, "Wen");
        auto* view = come(b, ilse);
        QVERIFY(view->course().id != 0);
        auto* person = view->findChild<QComboBox*>(QStringLiteral("coursePerson"));
        const auto take = [&](qint64 id) {
            person->setCurrentIndex(person->findData(id));
            emit person->activated(person->currentIndex());
        };
        take(wen);
        QTRY_VERIFY_WITH_TIMEOUT(view->owner() == wen && view->course().person == wen && b.background.idle() && b.copies.idle(), 60000);
        QCOMPARE(view->course().id, std::int64_t{0});
        QCOMPARE(b.window->practice()->form()->person(), wen); // the plan is of the same person
        take(0);
        QTRY_COMPARE_WITH_TIMEOUT(view->owner(), qint64{0}, 20000);
        QCOMPARE(view->threads()->model()->rowCount(), 0);
        for (const char* id : {"courseAnother", "courseAnew", "courseRemove", "courseExport", "courseLesson", "courseHome"})
            QVERIFY2(!view->findChild<QPushButton*>(QLatin1String(id))->isEnabled(), id);
        take(ilse);
        QTRY_VERIFY_WITH_TIMEOUT(view->course().id != 0, 60000);
    }
};

QTEST_MAIN(TestWeeks)
#include "test_weeks.moc"
