// A class over the weeks and on its way to a colleague: its course is made of what is known of most and what is common, a lesson in its
// weeks is made by it and passes everybody's gate; a file of it brings all back, nobody's reasons, and is read strictly.
#include "core/practice/gate.h"
#include "core/rng.h"
#include "desk/handover.h"
#include "desk/library_forms.h"
#include "support/synthetic.h"
#include <algorithm>
#include <QTemporaryDir>
#include <QtTest>

using namespace bevel;

class TestHandover : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    Forms forms_;
    int libraries_ = 0;

    Library fresh() {
        return *Library::open(std::filesystem::path(dir_.path().toStdString()) / ("library-" + std::to_string(++libraries_)));
    }
    static std::int64_t person(Library& lib, const std::string& name, const std::vector<std::string>& knows = {}) {
        Person p;
        p.name = name;
        const auto id = lib.people().add(p).value_or(0);
        PersonFacts f = *lib.people().facts(id);
        for (const auto& m : knows) f.taught.push_back({m, "", ""});
        (void)lib.people().set_facts(id, f);
        return id;
    }
    static void may_not(Library& lib, std::int64_t who, const std::string& limit, const std::string& until = {}) {
        Agreement a;
        a.person = who, a.check = check_of_limit(limit), a.off = true, a.reason = "After an operation on the 3rd.";
        a.until_day = until;
        (void)lib.decisions().save_agreement(a);
    }
    static ClassGroup thursday() {
        ClassGroup g;
        g.name = "Thursday <b>& co", g.hall = "Lantern Quay", g.floor = "old boards", g.at = "18:30", g.weekday = 4, g.minutes = 50;
        g.level = "mixed", g.taught = "clouds", g.notes = "Wen brings the tea.";
        return g;
    }
    /// The weeks of a wish, kept with the class.
    CourseOf course(Library& lib, std::int64_t group, CourseWish wish, const std::string& today) {
        const auto sheet = class_course_sheet(lib, forms_, group, today);
        CourseOf c;
        c.group = group, c.title = "Ten evenings", c.wish = std::move(wish);
        if (!sheet) return c;
        if (auto made = make_course(c.wish, *sheet, forms_, nullptr, today)) c.made = std::move(*made);
        c.made_of = basis_of(*sheet);
        c.id = keep_course(lib, c).value_or(0);
        return c;
    }
    static CourseWish wish() {
        CourseWish w;
        w.from = "2026-12-03", w.weeks = 8, w.home_days = 4, w.lesson_minutes = 50;
        w.wanted = {"part_the_horses_mane", "bend_and_swing"};
        w.themes = {"balance"};
        return w;
    }
    /// Two libraries' classes alike but for ids and what is not handed over.
    static std::vector<std::string> names(const ClassSheet& s) {
        std::vector<std::string> out;
        for (const auto& m : s.members) out.push_back(m.person.name);
        return out;
    }

private slots:
    void initTestCase() { forms_ = shipped_forms(test::data_dir()); }

    void a_course_is_of_a_person_or_of_a_class() {
        auto lib = fresh();
        const auto anna = person(lib, "Anna");
        const auto id = *lib.classes().keep(thursday());
        for (const auto& [p, g] : {std::pair{std::int64_t{0}, std::int64_t{0}}, std::pair{anna, id}}) {
            KeptCourse both;
            both.person = p, both.group = g, both.title = "x", both.wish = "{}", both.weeks = "{}";
            const auto kept = lib.courses().keep(both);
            QVERIFY(!kept && kept.error().code == Code::bad_value);
        }
        KeptCourse c;
        c.group = id, c.title = "Of the class", c.wish = "{}", c.weeks = "{}";
        QVERIFY(lib.courses().keep(c));
        c.group = 0, c.person = anna, c.title = "Of Anna";
        QVERIFY(lib.courses().keep(c));
        QCOMPARE(lib.courses().of(anna)->size(), std::size_t{1});
        QCOMPARE(lib.courses().of_class(id)->front().title, std::string("Of the class"));
        QCOMPARE(lib.courses().of_class(id)->front().group, id);
        // One that cannot be read hides no other and stays.
        const auto read = courses_of_class(lib, id);
        QVERIFY(read && read->first.empty() && read->second == 1);
        QVERIFY(lib.people().erase(anna));
        QCOMPARE(lib.courses().of_class(id)->size(), std::size_t{1});
        QVERIFY(lib.classes().remove(id));
        QVERIFY(lib.courses().of_class(id)->empty());
    }

    void what_most_may_not_do_is_not_in_it_and_what_few_may_not_is() {
        auto lib = fresh();
        ClassGroup g = thursday();
        for (const char* name : {"Anna", "Ben", "Cleo", "Dara"}) g.members.push_back(person(lib, name));
        may_not(lib, g.members[0], "no_bends");
        const auto id = *lib.classes().keep(g);
        const auto in = [&](const Course& c, const char* key) {
            return std::any_of(c.threads.begin(), c.threads.end(), [&](const CourseThread& t) { return t.key() == key; });
        };
        auto c = course(lib, id, wish(), "2026-12-01");
        QVERIFY(c.id != 0 && in(c.made, "movement bend_and_swing"));
        // Nobody is asked at home what their gate was not asked: a class has lessons only, whatever was wished for.
        for (const auto& w : c.made.weeks) QCOMPARE(w.home_minutes, 0.0);
        may_not(lib, g.members[1], "no_bends");
        const auto sheet = class_course_sheet(lib, forms_, id, "2026-12-01");
        QVERIFY(sheet && sheet->name == g.name && sheet->group == id);
        QVERIFY(basis_of(*sheet) != c.made_of); // half of them: that is said in the window
        const auto now = make_course(c.wish, *sheet, forms_, nullptr, "2026-12-01");
        QVERIFY(now && !in(*now, "movement bend_and_swing"));
        QVERIFY(std::any_of(now->left_out.begin(), now->left_out.end(),
                            [](const auto& l) { return l.key == "movement bend_and_swing" && l.code == LeftOut::Code::limit; }));
        QVERIFY(!class_course_sheet(lib, forms_, 999, "2026-12-01"));
        // A class without anybody has a course all the same: it is planned before people come.
        ClassGroup empty = thursday();
        empty.name = "New";
        const auto fresh_id = *lib.classes().keep(empty);
        QVERIFY(course(lib, fresh_id, wish(), "2026-12-01").id != 0);
    }

    void a_lesson_is_made_by_the_week_it_falls_into() {
        auto lib = fresh();
        ClassGroup g = thursday();
        for (const char* name : {"Anna", "Ben", "Cleo", "Dara", "Eli"}) g.members.push_back(person(lib, name));
        may_not(lib, g.members[3], "seated");
        may_not(lib, g.members[4], "no_overhead");
        const auto id = *lib.classes().keep(g);
        CourseWish w = wish();
        w.form = "follow_step_six";
        const auto c = course(lib, id, w, "2026-12-01");
        QVERIFY(c.id != 0);
        const auto movements = movements_of_course(w, forms_);
        int fresh_ones = 0;
        for (std::size_t k = 0; k < c.made.weeks.size(); ++k) {
            const auto& day = c.made.weeks[k].from;
            const auto sheet = *class_sheet(lib, id, day, forms_);
            const auto week = sheet.week_of(day);
            QVERIFY(week && week->first->id == c.id && week->second == k);
            Lesson l = lesson_on(sheet, day);
            l.people[k % 3].here = false;
            const auto plan = propose_lesson(sheet, l, forms_);
            QVERIFY2(plan.has_value(), plan ? "" : plan.error().context.c_str());
            QVERIFY(std::abs(plan->total_s() / 60 - c.made.weeks[k].lesson_minutes) < 3);
            QCOMPARE(plan->pace, c.made.weeks[k].pace);
            // What is new this week is done.
            if (const auto* fresh = c.made.fresh_in(k); fresh && fresh->kind == ThreadKind::movement) {
                ++fresh_ones;
                QVERIFY2(std::any_of(plan->items.begin(), plan->items.end(), [&](const PlanItem& i) { return i.movement == fresh->of; }),
                         qPrintable(QStringLiteral("week %1").arg(k + 1)));
            }
            // The gate of each who is there, at every item.
            const auto there = there_on(sheet, l);
            const auto instead = instead_of(*plan, there, movements);
            for (std::size_t i = 0; i < plan->items.size(); ++i)
                for (std::size_t p = 0; p < there.size(); ++p) {
                    const auto& x = instead[i][p];
                    if (x.way == Instead::Way::rest) continue;
                    PlanItem own = plan->items[i];
                    if (x.way != Instead::Way::as_led)
                        own.movement = x.what.movement, own.version = x.what.version, own.support = x.what.support;
                    if (x.way == Instead::Way::another) own.sequence.clear();
                    QVERIFY(!barred(own, there[p].needs, movements));
                }
            l.plan = plan_text(*plan), l.held = true;
            QVERIFY(lib.classes().keep_lesson(l));
        }
        QVERIFY(fresh_ones >= 1);
        const auto sheet = *class_sheet(lib, id, "2026-12-01", forms_);
        QVERIFY(!sheet.week_of("2026-12-02") && !sheet.week_of("2027-03-01") && !sheet.week_of(""));
        QCOMPARE(class_course_sheet(lib, forms_, id, "2027-03-01")->done_on.size(), c.made.weeks.size());
        // Before it and after it a lesson is proposed as ever.
        QVERIFY(propose_lesson(sheet, lesson_on(sheet, "2026-11-26"), forms_));
    }

    void what_is_common_runs_through_it() {
        auto lib = fresh();
        ClassGroup g = thursday();
        for (const char* name : {"Anna", "Ben", "Cleo", "Dara", "Eli", "Finn"}) g.members.push_back(person(lib, name));
        const auto id = *lib.classes().keep(g);
        QVERIFY(class_course_sheet(lib, forms_, id, "2026-12-01")->known.asked.empty());
        // Four of six lean too far in a clip each; and long ago all of them did something else.
        int n = 0;
        for (const auto who : g.members) {
            for (const auto& [check, day, value] :
                 {std::tuple{"trunk_lean", "2026-11-20", n < 4 ? 14.0 : 1.0}, {"head", "2026-01-05", 30.0}}) {
                const auto film = std::filesystem::path(dir_.path().toStdString()) / ("film-" + std::to_string(who) + check);
                QFile f(QString::fromStdString(film.string()));
                QVERIFY(f.open(QIODevice::WriteOnly));
                f.write(film.string().c_str());
                f.close();
                Clip c;
                c.person = who, c.movement = "part_the_horses_mane", c.view = "left", c.filmed_on = c.arrived_on = day;
                const auto clip = lib.clips().add(c, film);
                QVERIFY(clip.has_value());
                KeptFigure k;
                k.clip = *clip, k.day = day, k.movement = c.movement, k.view = c.view, k.check = check, k.measure = "trunk.lean",
                k.unit = "deg";
                k.value = value, k.own = 0.5, k.high = 5, k.matters = 4, k.judged = 4;
                QVERIFY(lib.records().keep_figures(*clip, {k}));
            }
            ++n;
        }
        const auto sheet = *class_course_sheet(lib, forms_, id, "2026-12-01");
        QCOMPARE(sheet.known.asked.size(), std::size_t{1});
        QCOMPARE(sheet.known.asked[0].movement, std::string("part_the_horses_mane"));
        const auto c = course(lib, id, wish(), "2026-12-01");
        QVERIFY(std::any_of(c.made.threads.begin(), c.made.threads.end(), [&](const CourseThread& t) {
            return t.kind == ThreadKind::rule && t.of == "part_the_horses_mane" && t.rule == sheet.known.asked[0].rule;
        }));
    }

    void a_class_comes_back_from_its_file() {
        auto lib = fresh();
        ClassGroup g = thursday();
        for (const char* name : {"Anna", "Ben", "Cléo \"the quick\""}) g.members.push_back(person(lib, name, {"opening_rise_and_sink"}));
        may_not(lib, g.members[1], "seated");
        may_not(lib, g.members[2], "care_knees", "2026-12-20");
        may_not(lib, g.members[2], "no_overhead", "2026-11-20"); // over by then
        const auto id = *lib.classes().keep(g);
        (void)course(lib, id, wish(), "2026-12-01");
        for (const char* day : {"2026-12-03", "2026-12-10"}) {
            const auto sheet = *class_sheet(lib, id, day, forms_);
            Lesson l = lesson_on(sheet, day);
            l.people[0].here = false, l.people[1].today.dizzy = true, l.held = true, l.notes = "Ben was dizzy.";
            l.plan = plan_text(*propose_lesson(sheet, l, forms_));
            QVERIFY(lib.classes().keep_lesson(l));
        }
        const auto sent = *class_sheet(lib, id, "2026-12-01", forms_);
        const std::string text = handover_text(handover_of(sent, true));
        QVERIFY(text.find("operation") == std::string::npos); // no reason
        QVERIFY(text.find("\"dizzy\"") == std::string::npos); // nor how somebody was on a day
        const auto read = parse_handover(text);
        QVERIFY2(read.has_value(), read ? "" : read.error().context.c_str());
        QCOMPARE(handover_text(*read), text);
        auto other = fresh();
        const auto who = *who_is_who(other, *read);
        QCOMPARE(who, (WhoIsWho{0, 0, 0}));
        const auto taken = take_over(other, *read, who, "Handed over.", "2026-12-01");
        QVERIFY2(taken.has_value(), taken ? "" : taken.error().context.c_str());
        const auto here = *class_sheet(other, *taken, "2026-12-01", forms_);
        QCOMPARE(names(here), names(sent));
        QCOMPARE(here.group.at, sent.group.at);
        QCOMPARE(here.group.floor, std::string("old boards"));
        QCOMPARE(here.group.notes, sent.group.notes);
        QCOMPARE(here.lessons.size(), sent.lessons.size());
        QCOMPARE(here.courses.size(), std::size_t{1});
        QVERIFY(here.courses[0].made == sent.courses[0].made && here.courses[0].wish == sent.courses[0].wish);
        // The same people are led to the same: all limits are there, and the lesson of a day is the same lesson.
        for (std::size_t k = 0; k < here.members.size(); ++k) {
            Needs a, b;
            know_person(a, sent.members[k]), know_person(b, here.members[k]);
            QCOMPARE(b.limits, a.limits);
            QCOMPARE(b.balance_step, a.balance_step);
            QCOMPARE(std::set<std::string>(b.practised.begin(), b.practised.end()),
                     std::set<std::string>(a.practised.begin(), a.practised.end()));
        }
        for (const auto& l : here.lessons) QCOMPARE(l.plan, sent.on(l.day)->plan);
        // A second time by somebody else into the same library: they are known by their names, and nothing doubles.
        const auto again = take_over(other, *read, *who_is_who(other, *read), "Handed over.", "2026-12-02");
        QVERIFY(again.has_value());
        QCOMPARE(other.people().all()->size(), std::size_t{3});
        QCOMPARE(other.decisions().agreements(here.members[1].person.id)->size(), std::size_t{1});
        QCOMPARE(other.classes().all()->size(), std::size_t{2});
    }

    void whoever_is_here_keeps_what_is_known_and_may_do_no_more() {
        auto lib = fresh();
        const auto ben = person(lib, "Ben", {"gaze_at_the_moon"});
        may_not(lib, ben, "no_twists");
        may_not(lib, ben, "seated", "2026-12-05"); // sooner over than the file says
        Handover h;
        h.group = thursday();
        h.people = {{"Ben", {"opening_rise_and_sink"}, 5, {{"seated", ""}, {"no_twists", "2026-12-30"}, {"no_bends", "2026-01-01"}}},
                    {"Ben of the hall", {}, 2, {{"care_neck", ""}}}};
        QCOMPARE(*who_is_who(lib, h), (WhoIsWho{ben, 0}));
        QVERIFY(!take_over(lib, h, {ben, ben}, "Handed over.", "2026-12-01")); // nobody is two
        QVERIFY(!take_over(lib, h, {ben}, "Handed over.", "2026-12-01"));
        QVERIFY(lib.classes().all()->empty() && lib.people().all()->size() == 1);
        QVERIFY(take_over(lib, h, {ben, 0}, "Handed over.", "2026-12-01"));
        const auto known = *person_needs(lib, ben, "2026-12-10", forms_);
        Needs n;
        know_person(n, known);
        QCOMPARE(n.limits, (std::set<std::string>{"seated", "no_twists"}));
        QCOMPARE(known.facts.balance_step, 0); // as it is here
        QCOMPARE(known.facts.taught.size(), std::size_t{1});
        // A store that says no in the middle leaves nothing behind.
        h.lessons.push_back({"2026-12-03", "", "", false, {0}});
        h.lessons.push_back({"", "", "", false, {}});
        const auto before = lib.people().all()->size();
        QVERIFY(!take_over(lib, h, {0, 0}, "Handed over.", "2026-12-01"));
        QCOMPARE(lib.people().all()->size(), before);
        QCOMPARE(lib.classes().all()->size(), std::size_t{1});
        h.lessons.clear();
        QVERIFY(!take_over(lib, h, {0, 0}, "", "2026-12-01")); // an agreement has its reason
        QCOMPARE(lib.people().all()->size(), before);
    }

    void without_names_nobody_is_told() {
        auto lib = fresh();
        ClassGroup g = thursday();
        for (const char* name : {"Anna Lindqvist", "Ben Okafor"}) g.members.push_back(person(lib, name));
        may_not(lib, g.members[1], "seated");
        const auto id = *lib.classes().keep(g);
        Lesson l = lesson_on(*class_sheet(lib, id, "2026-12-03", forms_), "2026-12-03");
        l.notes = "Ben Okafor sat.";
        QVERIFY(lib.classes().keep_lesson(l));
        const std::string text = handover_text(handover_of(*class_sheet(lib, id, "2026-12-03", forms_), false));
        for (const char* word : {"Anna", "Lindqvist", "Ben", "Okafor", "Wen"}) QVERIFY(text.find(word) == std::string::npos);
        const auto read = parse_handover(text);
        QVERIFY(read && read->people.size() == 2 && read->people[1].limits.size() == 1); // what may not be done goes with them
    }

    void a_file_is_read_strictly() {
        auto lib = fresh();
        ClassGroup g = thursday();
        g.members = {person(lib, "Anna", {"opening_rise_and_sink"})};
        may_not(lib, g.members[0], "seated");
        const auto id = *lib.classes().keep(g);
        (void)course(lib, id, wish(), "2026-12-01");
        const auto sheet = *class_sheet(lib, id, "2026-12-03", forms_);
        Lesson l = lesson_on(sheet, "2026-12-03");
        l.plan = plan_text(*propose_lesson(sheet, l, forms_));
        QVERIFY(lib.classes().keep_lesson(l));
        const std::string whole = handover_text(handover_of(*class_sheet(lib, id, "2026-12-03", forms_), true));
        QVERIFY(parse_handover(whole));
        const auto with = [&](const char* from, const char* to) {
            std::string t = whole;
            const auto at = t.find(from);
            if (at == std::string::npos) qFatal("%s", from);
            t.replace(at, std::string(from).size(), to);
            return parse_handover(t);
        };
        // A limit that nobody knows would be one that nobody keeps.
        const auto strange = with("\"limit\": \"seated\"", "\"limit\": \"sits\"");
        QVERIFY(!strange && strange.error().code == Code::bad_value && strange.error().context == "people 1: limit");
        for (const auto& [from, to] : {std::pair{"\"bevel_class\": 1", "\"bevel_class\": 2"},
                                       {"\"weekday\": 4", "\"weekday\": 8"},
                                       {"\"minutes\": 50", "\"minutes\": 1e9"},
                                       {"\"day\": \"2026-12-03\"", "\"day\": \"2026-02-30\""},
                                       {"\"balance_step\": 0", "\"balance_step\": 99"},
                                       {"\"until\": \"\"", "\"until\": \"soon\""},
                                       {"\"Anna\"", "\"  \""},
                                       {"\"held\": false", "\"held\": 0"}})
            QVERIFY2(!with(from, to), from);
        for (const char* none : {"", "{}", "[]", "null", "{\"bevel_class\": 1}", "not json", "{\"bevel_class\": 1, \"class\": []}"})
            QVERIFY2(!parse_handover(none), none);
        QVERIFY(parse_handover(std::string(handover_most + 1, ' ')).error().code == Code::too_large);
        // Bytes turned and cut: it reads or refuses, and what it reads can be taken over or is refused whole.
        Rng rng(41);
        int read = 0;
        for (int k = 0; k < 300; ++k) {
            std::string t = whole;
            if (k % 3 == 0) t.resize(static_cast<std::size_t>(rng.uniform() * static_cast<double>(t.size())));
            const auto some = [&](std::size_t of) { return static_cast<std::size_t>(rng.uniform() * static_cast<double>(of)); };
            if (k % 3 == 1) { // only within a name, which may be another one
                t[t.find("Anna") + some(4)] = static_cast<char>('a' + some(26));
            } else {
                for (int b = 0; b < 1 + k % 4 && !t.empty(); ++b) t[some(t.size())] = static_cast<char>(some(256));
            }
            const auto h = parse_handover(t);
            if (!h) continue;
            ++read;
            const auto before = lib.classes().all()->size();
            const auto taken = take_over(lib, *h, WhoIsWho(h->people.size(), 0), "Handed over.", "2026-12-01");
            QCOMPARE(lib.classes().all()->size(), before + (taken ? 1 : 0));
        }
        QVERIFY(read >= 100);
    }
};

QTEST_GUILESS_MAIN(TestHandover)
#include "test_handover.moc"
