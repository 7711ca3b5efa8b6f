// Classes: everybody's own way of a plan passes their gate, in hundreds of random groups; hand-made cases with their reasons; what is
// common against hand-counted figures and against drawing lots; the store; lessons one after another.
#include "core/practice/gate.h"
#include "core/practice/pacer.h"
#include "core/rng.h"
#include "desk/classes.h"
#include "desk/library_forms.h"
#include "support/synthetic.h"
#include <algorithm>
#include <cmath>
#include <QTemporaryDir>
#include <QtTest>
#include <sqlite3.h>

using namespace bevel;

namespace {

Forms forms() {
    static const Forms all = shipped_forms(test::data_dir());
    return all;
}
const std::vector<Movement>& movements() {
    static const auto all = forms().movements;
    return *all;
}

InClass one(std::int64_t person, std::set<std::string> limits = {}) {
    InClass x;
    x.person = person;
    x.needs.limits = std::move(limits);
    return x;
}

Plan plan_of(std::initializer_list<PlanItem> items) {
    Plan p;
    p.minutes = 20;
    p.items = items;
    return p;
}
PlanItem item(const std::string& movement, bool support = false) {
    PlanItem i;
    i.movement = movement;
    i.times = 4;
    i.support = support;
    i.change_s = 20;
    return i;
}

std::vector<InClass> random_class(Rng& rng) {
    std::vector<InClass> out;
    const int n = 1 + static_cast<int>(rng.uniform(0, 12));
    for (int k = 0; k < n; ++k) {
        InClass x = one(k + 1);
        const auto chance = [&](double p) { return rng.uniform() < p; };
        for (const char* l : {"no_overhead", "no_balance", "seated", "no_bends", "no_twists", "high_stance", "care_knees", "care_neck",
                              "care_low_back", "care_shoulders", "care_hips", "care_wrists"})
            if (chance(0.12)) x.needs.limits.insert(l);
        for (const char* c : {"neck", "low_back", "shoulders", "knees", "wrists", "hips"})
            if (chance(0.08)) x.needs.care.insert(c);
        x.needs.dizzy = chance(0.08), x.needs.unsteady = chance(0.1);
        if (chance(0.15)) x.needs.energy = 2;
        x.needs.balance_step = static_cast<int>(rng.uniform(0, 7.99));
        x.needs.chair = x.needs.wall = !chance(0.1);
        out.push_back(std::move(x));
    }
    return out;
}

KeptFigure figure(const std::string& check, double value, std::optional<double> low, std::optional<double> high, double sigma = 1,
                  const std::string& day = "2026-11-01", const std::string& movement = "clouds_with_a_step") {
    KeptFigure f;
    f.day = day, f.movement = movement, f.check = check, f.view = "front";
    f.value = value, f.low = low, f.high = high, f.own = sigma;
    return f;
}
/// A check of a rule, by the book.
std::string check_of(const std::string& rule) {
    const Rule* r = rule_book().find(rule);
    if (!r || r->checks.empty()) qFatal("no rule %s", rule.c_str());
    return r->checks.front().check.id;
}

} // namespace

class TestClass : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const char* name) const { return std::filesystem::path(dir_.path().toStdString()) / name; }
    Library library(const char* name) const {
        auto lib = Library::open(path(name));
        if (!lib) qFatal("no library");
        return std::move(*lib);
    }
    static std::int64_t person(Library& lib, const std::string& name) {
        Person p;
        p.name = name;
        return lib.people().add(p).value_or(0);
    }

private slots:
    void everybodys_way_passes_their_gate() {
        Rng rng(77);
        int items = 0, given = 0, rests = 0;
        for (int round = 0; round < 500; ++round) {
            const auto there = random_class(rng);
            Plan plan;
            plan.minutes = 30;
            for (int k = 0; k < 6; ++k) {
                const auto& m = movements()[static_cast<std::size_t>(rng.uniform(0, static_cast<double>(movements().size()) - 0.01))];
                PlanItem i = item(m.id, rng.uniform() < 0.5);
                if (!m.versions.empty() && rng.uniform() < 0.3) i.version = m.versions.front().name;
                if (rng.uniform() < 0.1) i.let_in = "the instructor lets it in";
                plan.items.push_back(i);
            }
            const auto table = instead_of(plan, there, movements());
            QCOMPARE(table.size(), plan.items.size());
            for (std::size_t i = 0; i < table.size(); ++i)
                for (std::size_t k = 0; k < there.size(); ++k) {
                    const Instead& x = table[i][k];
                    ++items;
                    PlanItem theirs = plan.items[i];
                    theirs.let_in.clear(); // let in for the class, not for everybody in it
                    if (x.way == Instead::Way::rest) {
                        ++rests;
                        QVERIFY(x.what.movement.empty() && x.why);
                        // Nothing at all passes, or it was not looked for.
                        QVERIFY(std::all_of(movements().begin(), movements().end(), [&](const Movement& m) {
                            return m.id == theirs.movement || m.course || pass(m, there[k].needs).barred;
                        }));
                        continue;
                    }
                    if (x.way != Instead::Way::as_led) {
                        ++given;
                        theirs.movement = x.what.movement, theirs.version = x.what.version, theirs.support = x.what.support;
                        QVERIFY(x.why.has_value());
                        QCOMPARE(x.way == Instead::Way::another, x.what.movement != plan.items[i].movement);
                    }
                    QVERIFY2(!barred(theirs, there[k].needs, movements()),
                             qPrintable(QString::fromStdString(theirs.movement + " ~ " + theirs.version)));
                }
        }
        qInfo("%d ways, %d another than led, %d rests", items, given, rests);
        QVERIFY(given > items / 10);
    }

    void who_sits_does_the_same_seated_and_who_may_not_balance_holds_on() {
        const std::vector<InClass> there{one(1), one(2, {"seated"})};
        const auto led = std::find_if(movements().begin(), movements().end(), [&](const Movement& m) {
            return !barred(m, "", there[0].needs) && barred(m, "", there[1].needs) && !pass(m, there[1].needs).barred;
        });
        QVERIFY(led != movements().end());
        const auto plan = plan_of({item(led->id, true)});
        const auto row = instead_of(plan, there, movements()).front();
        QVERIFY(row[0].way == Instead::Way::as_led && !row[0].why);
        QVERIFY(row[1].way == Instead::Way::easier && row[1].why == LeftOut::Code::limit);
        QCOMPARE(row[1].what.movement, led->id);
        QVERIFY(traits_of(led->as(row[1].what.version)).seated);
        // A movement on one leg that is led without anything in reach: held by whoever may.
        const auto balance = std::find_if(movements().begin(), movements().end(), [](const Movement& m) {
            return asks_for_balance(m, "") && !traits_of(m).stick && !barred(m, "", Needs{});
        });
        QVERIFY(balance != movements().end());
        const auto held = instead_of(plan_of({item(balance->id)}), std::vector<InClass>{one(1)}, movements()).front();
        QVERIFY(held[0].way == Instead::Way::held && held[0].what.support && held[0].ladder > 0);
    }

    void those_who_need_another_movement_do_the_same_one() {
        // A movement that cannot be done seated, for three who sit, of whom one may not lift the arms either.
        const auto stands = std::find_if(movements().begin(), movements().end(), [](const Movement& m) {
            Needs sits;
            sits.limits = {"seated"};
            return pass(m, sits).barred.has_value() && !m.course && !traits_of(m).stick;
        });
        QVERIFY(stands != movements().end());
        const std::vector<InClass> there{one(1), one(2, {"seated"}), one(3, {"seated", "no_overhead"}), one(4, {"seated"})};
        auto plan = plan_of({item(stands->id, true)});
        const auto table = instead_of(plan, there, movements());
        const auto& row = table.front();
        QVERIFY(row[0].way == Instead::Way::as_led);
        for (const int k : {1, 2, 3}) {
            QVERIFY(row[static_cast<std::size_t>(k)].way == Instead::Way::another);
            QCOMPARE(row[static_cast<std::size_t>(k)].what.movement, row[1].what.movement);
        }
        // What is said to all: each once, and nobody is named.
        say_otherwise(plan, table);
        QVERIFY(!plan.items[0].otherwise.empty() && plan.items[0].otherwise.size() <= 2);
        const auto back = parse_plan(plan_text(plan));
        QVERIFY(back.has_value());
        QVERIFY(back->items[0].otherwise == plan.items[0].otherwise);
        const auto t = timeline_of(plan, movements(), {});
        const auto calls = std::count_if(t.calls.begin(), t.calls.end(), [](const Call& c) { return c.code.starts_with("otherwise"); });
        QCOMPARE(static_cast<std::size_t>(calls), plan.items[0].otherwise.size());
        for (const auto& c : t.calls)
            if (c.code.starts_with("otherwise"))
                QVERIFY(std::find(plan.items[0].otherwise.begin(), plan.items[0].otherwise.end(), parse_otherwise(c.of)) !=
                        plan.items[0].otherwise.end());
        // Where there is nothing else at all they rest, and that is said too.
        const auto nothing = instead_of(plan, there, {*stands});
        QVERIFY(nothing[0][1].way == Instead::Way::rest && nothing[0][1].why == LeftOut::Code::limit);
        auto resting = plan;
        say_otherwise(resting, nothing);
        QVERIFY(resting.items[0].otherwise == std::vector<Otherwise>{Otherwise{}});
        // Nobody else's plan says so.
        say_otherwise(plan, {});
        QVERIFY(plan.items[0].otherwise.empty());
        QVERIFY(parse_otherwise("").movement.empty() && parse_otherwise("a\nb").movement.empty());
    }

    void a_class_is_led_by_what_most_of_them_may_do() {
        Needs day;
        day.minutes = 45;
        std::vector<InClass> there{one(1, {"no_overhead"}), one(2, {"no_overhead", "seated"}), one(3), one(4)};
        there[0].needs.balance_step = 5, there[1].needs.balance_step = 2;
        for (auto& x : there) x.needs.practised = {"clouds_with_a_step"};
        there[3].needs.practised = {};
        there[2].needs.asked = {{"clouds_with_a_step", "W2", "", 0, 0}};
        const Needs n = needs_of_class(day, there);
        QVERIFY(n.limits.contains("no_overhead")); // half of them
        QVERIFY(!n.limits.contains("seated"));     // one of four
        QCOMPARE(n.balance_step, 2);
        QCOMPARE(n.practised, std::vector<std::string>{"clouds_with_a_step"});
        QCOMPARE(n.asked.size(), std::size_t{1});
        QVERIFY(!n.dizzy);
        for (auto& x : there) x.needs.dizzy = true;
        QVERIFY(needs_of_class(day, there).dizzy);
        QVERIFY(!needs_of_class(day, {}).dizzy); // nobody is not everybody
    }

    void what_most_of_them_miss_is_counted_by_hand() {
        const std::string weight = check_of("W2"), head = check_of("H1");
        std::vector<PersonFigures> people;
        // Seven of twelve beyond a band of 10 by far more than their error, five well within.
        for (int k = 0; k < 12; ++k)
            people.push_back({k + 1, {figure(weight, k < 7 ? 20 : 0, std::nullopt, 10), figure(head, 0, -5, 5, 0.5)}});
        auto all = common_faults(people);
        QCOMPARE(all.size(), std::size_t{1});
        QCOMPARE(all[0].rule, std::string("W2"));
        QVERIFY(all[0].direction == Direction::high);
        QCOMPARE(all[0].told, 12);
        QCOMPARE(all[0].missing, 7);
        QCOMPARE(all[0].least, 7);
        QCOMPARE(all[0].most, 7);
        QCOMPARE(all[0].who, (std::vector<std::int64_t>{1, 2, 3, 4, 5, 6, 7}));
        QCOMPARE(all[0].movement, std::string("clouds_with_a_step"));
        // The same within their errors: the number is not sure.
        for (auto& p : people) p.figures[0].value = p.figures[0].value > 5 ? 10.5 : 9.5;
        const auto unsure = common_faults(people);
        QVERIFY(!unsure.empty() && unsure[0].missing == 7 && unsure[0].least < 7 && unsure[0].most > 7);
        // A newer clip of the same side stands for the older one.
        for (auto& p : people) {
            p.figures[0].value = 20;
            p.figures.push_back(figure(weight, 0, std::nullopt, 10, 1, "2026-11-08"));
        }
        QVERIFY(common_faults(people).empty());
        // One person alone is nothing in common; a figure without a band or a rule tells nothing.
        QVERIFY(common_faults(std::vector<PersonFigures>{{1, {figure(weight, 20, std::nullopt, 10)}}}).empty());
        QVERIFY(common_faults(std::vector<PersonFigures>{{1, {figure(weight, 20, {}, {})}}, {2, {figure("nonsense", 20, {}, 1)}}}).empty());
        QVERIFY(!chance_beyond(figure(weight, NAN, std::nullopt, 10), Direction::high));
        QVERIFY(!chance_beyond(figure(weight, 1, std::nullopt, 10), Direction::low));
        QCOMPARE(*chance_beyond(figure(weight, 11, std::nullopt, 10, 0), Direction::high), 1.0);
        QVERIFY(std::abs(*chance_beyond(figure(weight, 10, std::nullopt, 10, 3), Direction::high) - 0.5) < 1e-12);
    }

    void how_sure_a_number_is_agrees_with_drawing_lots() {
        Rng rng(5);
        const std::string check = check_of("W2");
        std::vector<PersonFigures> people;
        for (int k = 0; k < 14; ++k) people.push_back({k + 1, {figure(check, rng.uniform(6, 14), std::nullopt, 10, 2)}});
        const auto all = common_faults(people);
        QVERIFY(!all.empty());
        std::vector<int> drawn;
        for (int n = 0; n < 20000; ++n) {
            int count = 0;
            for (const auto& p : people) count += p.figures[0].value + 2 * rng.gauss() > 10 ? 1 : 0;
            drawn.push_back(count);
        }
        std::sort(drawn.begin(), drawn.end());
        QVERIFY(std::abs(drawn[1000] - all[0].least) <= 1 && std::abs(drawn[19000] - all[0].most) <= 1);
    }

    void a_share_that_fell_is_told_from_one_that_may_have() {
        const std::string check = check_of("W2");
        const auto group = [&](int missing, int of) {
            std::vector<PersonFigures> out;
            for (int k = 0; k < of; ++k) out.push_back({k + 1, {figure(check, k < missing ? 30 : 0, std::nullopt, 10)}});
            return out;
        };
        const auto sure = share_changes(group(10, 12), group(1, 12));
        QCOMPARE(sure.size(), std::size_t{1});
        QVERIFY(sure[0].fell > 0.999 && sure[0].before.missing == 10 && sure[0].after.missing == 1);
        const auto alike = share_changes(group(5, 10), group(5, 10));
        QVERIFY(std::abs(alike[0].fell - 0.5) < 1e-9);
        QVERIFY(share_changes(group(1, 12), group(10, 12))[0].fell < 0.001);
        // Against drawing from the two distributions.
        const auto some = share_changes(group(6, 9), group(3, 8));
        Rng rng(9);
        const auto beta = [&](int a, int b) { // by its order statistics
            std::vector<double> u(static_cast<std::size_t>(a + b - 1));
            for (auto& x : u) x = rng.uniform();
            std::sort(u.begin(), u.end());
            return u[static_cast<std::size_t>(a - 1)];
        };
        int fell = 0;
        for (int n = 0; n < 40000; ++n) fell += beta(7, 4) > beta(4, 6) ? 1 : 0;
        QVERIFY2(std::abs(fell / 40000.0 - some[0].fell) < 0.01, qPrintable(QString::number(some[0].fell)));
        // Told in one of the two only: no change is said.
        const auto before = share_changes(group(4, 6), {});
        QVERIFY(before.size() == 1 && before[0].after.told == 0 && before[0].fell == 0.5);
    }

    void a_class_is_kept_as_it_is() {
        auto lib = library("kept");
        const auto anna = person(lib, "Anna"), ben = person(lib, "Ben");
        ClassGroup g;
        g.name = "Thursday", g.hall = "Lantern Quay", g.at = "18:30", g.weekday = 4, g.minutes = 75, g.level = "second year";
        g.stick = true, g.wall = false, g.members = {ben, anna, ben};
        const auto id = lib.classes().keep(g);
        QVERIFY(id.has_value());
        auto back = *lib.classes().all();
        QCOMPARE(back.size(), std::size_t{1});
        QVERIFY(back[0].name == g.name && back[0].hall == g.hall && back[0].at == g.at && back[0].weekday == 4 && back[0].minutes == 75 &&
                back[0].level == g.level && back[0].stick && !back[0].wall && back[0].chair);
        QCOMPARE(back[0].members, (std::vector<std::int64_t>{anna, ben}));
        Lesson l;
        l.group = *id, l.day = "2026-12-03", l.plan = "{}", l.notes = "rain";
        l.people = {{anna, true, {true, false, false, {"knees"}}}, {ben, false, {}}};
        const auto kept = lib.classes().keep_lesson(l);
        QVERIFY(kept.has_value());
        l.held = true;
        QCOMPARE(*lib.classes().keep_lesson(l), *kept); // one a day
        const auto lessons = *lib.classes().lessons(*id);
        QCOMPARE(lessons.size(), std::size_t{1});
        QVERIFY(lessons[0].held && lessons[0].notes == "rain" && lessons[0].people == l.people);
        // What says nothing, or what cannot be, is refused.
        const auto refused = [&](auto change) {
            ClassGroup bad = back[0];
            change(bad);
            const auto r = lib.classes().keep(bad);
            return !r && r.error().code == Code::bad_value;
        };
        QVERIFY(refused([](ClassGroup& x) { x.name = "  "; }));
        QVERIFY(refused([](ClassGroup& x) { x.minutes = 0; }));
        QVERIFY(refused([](ClassGroup& x) { x.weekday = 8; }));
        for (const char* at : {"25:00", "18:61", "1830", "18:3x", "9:30"}) QVERIFY(refused([&](ClassGroup& x) { x.at = at; }));
        Lesson bad = l;
        for (const char* day : {"", "2026-02-30", "soon"}) {
            bad.day = day;
            QVERIFY(!lib.classes().keep_lesson(bad));
        }
        bad = l, bad.group = 999;
        QVERIFY(!lib.classes().keep_lesson(bad));
        ClassGroup gone = back[0];
        gone.id = 999;
        QVERIFY(!lib.classes().keep(gone));
        // Somebody who is erased is nowhere; the class goes on.
        QVERIFY(lib.people().erase(anna).has_value());
        QCOMPARE((*lib.classes().all())[0].members, std::vector<std::int64_t>{ben});
        QCOMPARE((*lib.classes().lessons(*id))[0].people.size(), std::size_t{1});
        QVERIFY(lib.classes().remove(*id).has_value());
        QVERIFY(lib.classes().all()->empty() && lib.classes().lessons(*id)->empty());
    }

    void a_damaged_line_asks_for_care_and_not_for_trust() {
        {
            auto lib = library("damaged");
            const auto anna = person(lib, "Anna");
            ClassGroup g;
            g.name = "Damaged", g.members = {anna};
            const auto id = *lib.classes().keep(g);
            Lesson l;
            l.group = id, l.day = "2026-12-03", l.people = {{anna, true, {true, false, false, {}}}};
            QVERIFY(lib.classes().keep_lesson(l));
        }
        sqlite3* db = nullptr;
        QCOMPARE(sqlite3_open((path("damaged") / "library.sqlite").c_str(), &db), SQLITE_OK);
        QCOMPARE(sqlite3_exec(db, "UPDATE lesson_person SET today='{\"dizzy\":1'; UPDATE class SET body='[1,2'", nullptr, nullptr, nullptr),
                 SQLITE_OK);
        sqlite3_close(db);
        auto lib = library("damaged");
        const auto all = *lib.classes().all();
        QCOMPARE(all.size(), std::size_t{1});
        QVERIFY(all[0].name.empty() && all[0].minutes == 60 && all[0].members.size() == 1);
        const auto today = (*lib.classes().lessons(all[0].id))[0].people[0].today;
        QVERIFY(today.dizzy && today.unsteady && today.tired && today.care.size() == 6);
    }

    void one_lesson_after_another_without_the_same_hour() {
        auto lib = library("lessons");
        ClassGroup g;
        g.name = "Thursday", g.minutes = 40, g.stick = false;
        for (const char* name : {"Anna", "Ben", "Cleo", "Dara", "Eli"}) g.members.push_back(person(lib, name));
        Agreement sits;
        sits.person = g.members[1], sits.check = check_of_limit("seated"), sits.off = true, sits.reason = "knee";
        QVERIFY(lib.decisions().save_agreement(sits));
        const auto id = *lib.classes().keep(g);
        std::vector<std::vector<std::string>> hours;
        for (const char* day : {"2026-12-03", "2026-12-10", "2026-12-17"}) {
            const auto sheet = class_sheet(lib, id, day, forms());
            QVERIFY(sheet.has_value());
            Lesson l = lesson_on(*sheet, day);
            QCOMPARE(l.people.size(), g.members.size());
            l.people[2].here = false;
            const auto there = there_on(*sheet, l);
            QCOMPARE(there.size(), g.members.size() - 1);
            QVERIFY(there[1].needs.limits.contains("seated"));
            const auto plan = propose_lesson(*sheet, l, forms());
            QVERIFY2(plan.has_value(), plan ? "" : plan.error().context.c_str());
            QVERIFY(std::abs(plan->total_s() / 60 - g.minutes) < 3);
            QCOMPARE(plan->title, g.name);
            // Whoever sits has a way through the whole hour, and it is said without a name.
            QVERIFY(std::any_of(plan->items.begin(), plan->items.end(), [](const PlanItem& i) { return !i.otherwise.empty(); }));
            QVERIFY(plan_text(*plan).find("Ben") == std::string::npos);
            l.plan = plan_text(*plan), l.held = true;
            QVERIFY(lib.classes().keep_lesson(l));
            hours.push_back(movements_of(l));
            // Another proposal is another one, and the same question has the same answer.
            QCOMPARE(plan_text(*propose_lesson(*sheet, l, forms())), plan_text(*plan));
            QVERIFY(plan_text(*propose_lesson(*sheet, l, forms(), {}, 1)) != plan_text(*plan));
        }
        for (std::size_t k = 1; k < hours.size(); ++k) {
            const auto again = std::count_if(hours[k].begin(), hours[k].end(), [&](const std::string& m) {
                return std::find(hours[k - 1].begin(), hours[k - 1].end(), m) != hours[k - 1].end();
            });
            qInfo("lesson %zu: %td of %zu as a week before", k + 1, again, hours[k].size());
            QVERIFY(2 * again <= std::ssize(hours[k]) + 1);
        }
        const auto sheet = *class_sheet(lib, id, "2026-12-17", forms());
        Lesson empty = lesson_on(sheet, "2026-12-24");
        for (auto& p : empty.people) p.here = false;
        QVERIFY(!propose_lesson(sheet, empty, forms()));
        QVERIFY(!class_sheet(lib, 999, "2026-12-17", forms()));
        QCOMPARE(figures_of_class(lib, sheet, "", "")->size(), g.members.size());
    }
};

QTEST_GUILESS_MAIN(TestClass)
#include "test_class.moc"
