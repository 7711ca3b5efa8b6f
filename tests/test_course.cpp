// Courses of weeks: properties over random needs, hand-made cases, what a missed week, a limit and a letter make of them, files of them.
#include "core/days.h"
#include "core/practice/course.h"
#include "core/practice/gate.h"
#include "core/rng.h"
#include <QtTest>

using namespace bevel;

namespace {

const std::vector<Movement>& movements() {
    static const auto all = load_movements(BEVEL_SOURCE_DIR "/data");
    return all;
}

CourseNeeds usual() {
    CourseNeeds n;
    n.from = "2026-12-07";
    n.needs.wanted = {"gaze_at_the_moon", "part_the_horses_mane", "separate_the_clouds"};
    return n;
}

bool active(Beat b) {
    return b == Beat::begins || b == Beat::grows || b == Beat::returns || b == Beat::recalled;
}
bool fresh(Beat b) {
    return b == Beat::begins || b == Beat::grows;
}
const CourseThread* line_of(const Course& c, const std::string& key) {
    for (const auto& t : c.threads)
        if (t.key() == key) return &t;
    return nullptr;
}
int week_of(const CourseThread& t, Beat b) {
    const auto at = std::find(t.beats.begin(), t.beats.end(), b);
    return at == t.beats.end() ? -1 : static_cast<int>(at - t.beats.begin());
}

CourseNeeds random_needs(Rng& rng) {
    CourseNeeds n;
    const auto chance = [&](double p) { return rng.uniform() < p; };
    const auto whole = [&](int low, int high) { return low + static_cast<int>(rng.uniform(0, high - low + 0.999)); };
    n.from = days_after("2026-01-01", whole(0, 700));
    n.weeks = whole(least_weeks, most_weeks);
    n.lessons = whole(0, 3), n.home_days = whole(n.lessons == 0 ? 1 : 0, 6);
    n.lesson_minutes = whole(15, 90), n.home_minutes = whole(8, 40);
    n.slide = chance(0.5);
    Needs& p = n.needs;
    for (const char* l : {"no_overhead", "no_balance", "seated", "no_bends", "no_twists", "high_stance", "care_knees", "care_neck"})
        if (chance(0.12)) p.limits.insert(l);
    if (chance(0.5)) p.themes.insert("balance");
    p.balance_step = whole(0, balance_steps);
    p.chair = chance(0.8), p.wall = chance(0.8), p.helper = chance(0.3);
    p.dizzy = chance(0.1), p.unsteady = chance(0.1);
    const auto pick = [&] { return movements()[static_cast<std::size_t>(whole(0, static_cast<int>(movements().size()) - 1))].id; };
    for (int k = whole(0, 12); k > 0; --k) p.wanted.push_back(pick());
    for (int k = whole(0, 5); k > 0; --k) p.practised.push_back(pick());
    for (int k = whole(0, 3); k > 0; --k) p.asked.push_back({pick(), chance(0.5) ? "W2" : "K1", ""});
    if (chance(0.4)) {
        FormToGrow f;
        f.form = "six";
        f.steps = {{1, 1}, {2, 2}, {3, 4}, {5, 6}};
        f.known = whole(0, 6);
        p.form = f;
    }
    return n;
}

/// What is wrong with a course, in words; empty where nothing is. `now`: from where it was made anew.
QString wrong(const Course& c, const CourseNeeds& n, std::size_t now = 0) {
    const std::size_t weeks = c.weeks.size();
    int plain = 0, lighter = 0;
    for (std::size_t w = 0; w < weeks; ++w) {
        const auto& week = c.weeks[w];
        if (week.from != days_after(n.from, 7 * static_cast<int>(w)))
            return QStringLiteral("week %1 begins %2").arg(w).arg(week.from.c_str());
        if ((week.kind == WeekKind::recall) != (w + 1 == weeks) && w >= now) return QStringLiteral("recall not last");
        plain += week.kind == WeekKind::plain, lighter += week.kind == WeekKind::lighter;
        int news = 0;
        for (const auto& t : c.threads) {
            if (t.beats.size() != weeks) return QStringLiteral("a thread without its weeks");
            news += fresh(t.beats[w]);
            if (w >= now && t.kind == ThreadKind::movement && active(t.beats[w])) {
                const Movement* m = movement_named(movements(), t.of);
                if (!m || pass(*m, n.needs).barred) return QStringLiteral("%1 may not be done").arg(t.of.c_str());
            }
        }
        if (news > 1) return QStringLiteral("%1 new things in week %2").arg(news).arg(w);
        if (news > 0 && week.kind != WeekKind::plain && w >= now) return QStringLiteral("something new in a week of another kind");
        if (week.ladder > static_cast<int>(BalanceStep::slower)) return QStringLiteral("eyes closed");
        if (w > 0 && w >= now && week.ladder > c.weeks[w - 1].ladder + 1 && c.weeks[w - 1].ladder > 0)
            return QStringLiteral("two steps up at once");
        for (const double m : {week.lesson_minutes, week.home_minutes})
            if (m != 0 && (m < 4 || m > 180)) return QStringLiteral("%1 minutes").arg(m);
        if (week.kind == WeekKind::lighter && w >= now && n.lessons > 0 && week.lesson_minutes > n.lesson_minutes)
            return QStringLiteral("lighter and longer");
        if (week.clip_looked && (w == 0 || !c.weeks[w - 1].clip_asked)) return QStringLiteral("looked at what was not asked for");
    }
    if (lighter < 1 || plain < 2) return QStringLiteral("%1 plain, %2 lighter").arg(plain).arg(lighter);
    // A clip every one to two weeks.
    for (std::size_t w = now; w + 1 < weeks; ++w)
        if (!c.weeks[w].clip_asked && !c.weeks[w + 1].clip_asked) return QStringLiteral("no clip in weeks %1 and %2").arg(w).arg(w + 1);
    for (const auto& t : c.threads) {
        std::size_t begun = 0; // in a week that was not missed
        while (!t.known && begun < weeks && !(active(t.beats[begun]) && !c.weeks[begun].missed)) ++begun;
        for (std::size_t w = 0; w < begun; ++w)
            if (t.beats[w] != Beat::not_yet && !c.weeks[w].missed) return QStringLiteral("%1 rests before it begins").arg(t.key().c_str());
        for (std::size_t w = begun; w < weeks; ++w)
            if (!t.known && t.beats[w] == Beat::not_yet) return QStringLiteral("%1 is forgotten").arg(t.key().c_str());
        if (std::count(t.beats.begin(), t.beats.end(), Beat::begins) > 1 && now == 0)
            return QStringLiteral("%1 begins twice").arg(t.key().c_str());
        // What begins comes back the week after, as far as there is room for it, and in the last week.
        if (!t.known && begun + 1 < weeks && now == 0 && t.beats.back() != Beat::recalled && t.kind != ThreadKind::ladder)
            return QStringLiteral("%1 is not recalled").arg(t.key().c_str());
    }
    // Whatever was wished for is in it or said to be left out.
    for (const auto& id : n.needs.wanted) {
        CourseThread t{ThreadKind::movement, id, "", "", false, {}};
        const auto key = t.key();
        const auto* in = line_of(c, key);
        const bool left = std::any_of(c.left_out.begin(), c.left_out.end(), [&](const auto& l) { return l.key == key; });
        const bool begins = in && (in->known || std::any_of(in->beats.begin(), in->beats.end(), active));
        if (!begins && !left) return QStringLiteral("%1 is lost").arg(id.c_str());
    }
    return {};
}

} // namespace

class TestCourse : public QObject {
    Q_OBJECT
private slots:
    void a_course_begins_on_a_day_whose_weeks_can_be_written() {
        for (const char* bad : {"", "2026-13-01", "soon", "2199-11-01"}) {
            CourseNeeds n = usual();
            n.from = bad;
            const auto made = propose_course(n, movements());
            QVERIFY2(!made && made.error().context == "from", bad);
        }
        CourseNeeds n = usual();
        n.from = "2100-02-22"; // over the end of a February of no leap year
        const auto made = propose_course(n, movements());
        QVERIFY(made);
        QCOMPARE(made->weeks[1].from, std::string("2100-03-01"));
        QVERIFY(parse_course(course_text(*made)));
        // How many weeks are over, by the day.
        for (const auto& [day, over] :
             {std::pair{"2100-02-21", 0}, {"2100-02-28", 0}, {"2100-03-01", 1}, {"2100-03-07", 1}, {"2100-03-08", 2}, {"2199-01-01", 8}})
            QCOMPARE(weeks_over(*made, day), static_cast<std::size_t>(over));
    }
    void properties_over_random_courses() {
        Rng rng(20261201);
        int made = 0, remade = 0;
        for (int k = 0; k < 500; ++k) {
            const CourseNeeds n = random_needs(rng);
            const auto c = propose_course(n, movements());
            QVERIFY2(c, c ? "" : c.error().context.c_str());
            ++made;
            QCOMPARE(c->weeks.size(), static_cast<std::size_t>(n.weeks));
            const QString bad = wrong(*c, n);
            QVERIFY2(bad.isEmpty(), qPrintable(QStringLiteral("%1: %2\n%3").arg(k).arg(bad, QString::fromStdString(course_text(*c)))));
            // The same needs, the same course; the same text.
            QCOMPARE(course_text(*propose_course(n, movements())), course_text(*c));
            const auto back = parse_course(course_text(*c));
            QVERIFY(back && course_text(*back) == course_text(*c));
            // A week is missed, something happens, and it goes on.
            Course so_far = *c;
            const auto now = static_cast<std::size_t>(rng.uniform(1, n.weeks - 0.01));
            so_far.weeks[now - 1].missed = true;
            CourseNeeds later = n;
            if (rng.uniform() < 0.5) later.needs.limits.insert(rng.uniform() < 0.5 ? "no_balance" : "no_overhead");
            const auto after = propose_course(later, movements(), &so_far, now);
            QVERIFY2(after, after ? "" : after.error().context.c_str());
            ++remade;
            QCOMPARE(after->weeks.size(), static_cast<std::size_t>(n.weeks) + (n.slide ? 1U : 0U));
            const QString worse = wrong(*after, later, now);
            QVERIFY2(
                worse.isEmpty(),
                qPrintable(QStringLiteral("%1 after %2: %3\n%4").arg(k).arg(now).arg(worse, QString::fromStdString(course_text(*after)))));
            // What was stays as it was.
            for (const auto& t : so_far.threads)
                for (std::size_t w = 0; w < now; ++w)
                    if (active(t.beats[w])) QVERIFY(line_of(*after, t.key()) && line_of(*after, t.key())->beats[w] == t.beats[w]);
            // Every day of it can be made, and passes the person's gate.
            if (k % 25 == 0)
                for (std::size_t w = 0; w < c->weeks.size(); w += 2)
                    for (const bool home : {false, true}) {
                        if ((home ? n.home_days : n.lessons) == 0) continue;
                        Needs day = n.needs;
                        day.form.reset(); // its pieces are not among the movements here
                        Needs of = day_of_course(*c, n, w, home, day);
                        of.form.reset();
                        const auto plan = propose(of, movements());
                        QVERIFY2(plan, plan ? "" : plan.error().context.c_str());
                        for (const auto& i : plan->items) {
                            if (i.part != PlanPart::opening && i.part != PlanPart::closing) QVERIFY(!barred(i, of, movements()));
                            QVERIFY(!home || i.ladder < static_cast<int>(BalanceStep::eyes_closed));
                        }
                    }
        }
        QCOMPARE(made, 500);
        QCOMPARE(remade, 500);
    }

    void eight_weeks_by_hand() {
        const CourseNeeds n = usual();
        const auto c = propose_course(n, movements());
        QVERIFY(c.has_value());
        QCOMPARE(c->weeks.size(), std::size_t{8});
        QCOMPARE(c->weeks[0].from, std::string("2026-12-07"));
        QCOMPARE(c->weeks[7].from, std::string("2027-01-25"));
        QCOMPARE(c->weeks[3].kind, WeekKind::lighter);
        QCOMPARE(c->weeks[7].kind, WeekKind::recall);
        // Three things over six plain weeks: one every second of them.
        std::vector<std::size_t> begins;
        for (std::size_t w = 0; w < 8; ++w)
            if (c->fresh_in(w)) begins.push_back(w);
        QCOMPARE(begins, (std::vector<std::size_t>{0, 2, 5}));
        // What is new in a week comes back the week after.
        for (const auto w : begins) {
            const auto* t = c->fresh_in(w);
            QVERIFY(active(t->beats[w + 1]));
            QCOMPARE(t->beats[7], Beat::recalled);
        }
        QVERIFY(c->left_out.empty());
        // The lighter week is shorter and slower.
        QVERIFY(c->weeks[3].lesson_minutes < c->weeks[2].lesson_minutes && c->weeks[3].pace > c->weeks[0].pace);
        QVERIFY(c->weeks[0].clip_asked && c->weeks[1].clip_looked && !c->weeks[1].clip_asked && c->weeks[7].clip_asked);
    }

    void what_a_letter_asked_for_comes_first_and_goes_when_it_is_settled() {
        CourseNeeds n = usual();
        n.needs.asked = {{"separate_the_clouds", "W2", ""}};
        const auto c = propose_course(n, movements());
        QVERIFY(c && c->fresh_in(0) && c->fresh_in(0)->kind == ThreadKind::rule);
        const auto key = c->fresh_in(0)->key();
        QCOMPARE(key, std::string("rule W2 separate_the_clouds"));
        QVERIFY(line_of(*c, "movement separate_the_clouds")->known); // what a letter asks something of is done already
        const Needs day = day_of_course(*c, n, 0, false, n.needs);
        QCOMPARE(day.asked.size(), std::size_t{1});
        QCOMPARE(day.minutes, n.lesson_minutes);
        // Inside for two weeks: seen as it was, and rests from there.
        n.settled = {key};
        const auto after = propose_course(n, movements(), &*c, 3);
        QVERIFY(after.has_value());
        const auto* t = line_of(*after, key);
        QVERIFY(t && t->beats[0] == Beat::begins);
        for (std::size_t w = 3; w < after->weeks.size(); ++w) QCOMPARE(t->beats[w], Beat::rests);
        QVERIFY(day_of_course(*after, n, 4, false, n.needs).asked.empty());
        // A new one under way is brought in by the next week that may bring something new.
        n.needs.asked.push_back({"gaze_at_the_moon", "K1", ""});
        const auto more = propose_course(n, movements(), &*after, 4);
        QVERIFY(more && more->fresh_in(4) && more->fresh_in(4)->rule == "K1");
    }

    void a_missed_week_slides_or_is_folded_in() {
        CourseNeeds n = usual();
        const auto c = propose_course(n, movements());
        Course so_far = *c;
        const auto* first = c->fresh_in(0);
        so_far.weeks[0].missed = true;
        const auto later = propose_course(n, movements(), &so_far, 1);
        QVERIFY(later.has_value());
        QCOMPARE(later->weeks.size(), std::size_t{9}); // slides: one week longer
        QCOMPARE(later->weeks.back().kind, WeekKind::recall);
        const auto* again = line_of(*later, first->key());
        QVERIFY(again && again->beats[0] == Beat::begins); // what was planned stands there, and begins anew
        QVERIFY(std::count(again->beats.begin() + 1, again->beats.end(), Beat::begins) == 1);
        n.slide = false;
        const auto folded = propose_course(n, movements(), &so_far, 1);
        QVERIFY(folded.has_value());
        QCOMPARE(folded->weeks.size(), std::size_t{8});
        QVERIFY(std::count(line_of(*folded, first->key())->beats.begin() + 1, line_of(*folded, first->key())->beats.end(), Beat::begins) ==
                1);
        // Of a missed week no clip came: none is looked at after it.
        QVERIFY(!folded->weeks[1].clip_looked && folded->weeks[1].clip_asked);
    }

    void limits_and_pain_take_things_out() {
        CourseNeeds n = usual();
        n.needs.themes.insert("balance");
        CourseNeeds hurt = n;
        hurt.needs.limits = {"no_balance"};
        std::string id; // one that may be done now, and then no longer
        for (const auto& m : movements())
            if (!pass(m, n.needs).barred && pass(m, hurt.needs).barred == LeftOut::Code::limit) id = m.id;
        QVERIFY(!id.empty());
        n.needs.wanted.push_back(id), hurt.needs.wanted.push_back(id);
        const auto key = "movement " + id;
        const auto c = propose_course(n, movements());
        QVERIFY(c && line_of(*c, key) && line_of(*c, "ladder"));
        const auto after = propose_course(hurt, movements(), &*c, 5);
        QVERIFY(after.has_value());
        QVERIFY(wrong(*after, hurt, 5).isEmpty());
        for (const auto& k : {key, std::string("ladder")}) {
            if (const auto* t = line_of(*after, k))
                for (std::size_t w = 5; w < after->weeks.size(); ++w) QVERIFY2(!active(t->beats[w]), k.c_str());
            QVERIFY(std::any_of(after->left_out.begin(), after->left_out.end(),
                                [&](const auto& l) { return l.key == k && l.code == LeftOut::Code::limit; }));
        }
        for (std::size_t w = 5; w < after->weeks.size(); ++w) QCOMPARE(after->weeks[w].ladder, 0);
    }

    void a_form_grows_by_weeks_and_the_ladder_one_step_at_a_time() {
        CourseNeeds n;
        n.from = "2026-12-07", n.weeks = 10;
        FormToGrow f;
        f.form = "six", f.steps = {{1, 1}, {2, 2}, {3, 4}, {5, 6}}, f.known = 1;
        n.needs.form = f;
        n.needs.themes = {"balance"};
        n.needs.balance_step = static_cast<int>(BalanceStep::fingertips);
        const auto c = propose_course(n, movements());
        QVERIFY(c.has_value());
        std::vector<int> parts, ladder;
        for (const auto& w : c->weeks) parts.push_back(w.parts), ladder.push_back(w.ladder);
        QVERIFY(std::is_sorted(parts.begin(), parts.end()) && std::is_sorted(ladder.begin(), ladder.end()));
        QCOMPARE(parts.back(), 6);
        QCOMPARE(ladder.back(), static_cast<int>(BalanceStep::slower)); // never eyes closed
        for (std::size_t w = 1; w < ladder.size(); ++w) QVERIFY(ladder[w] - ladder[w - 1] <= 1);
        // A day of it opens with what is known when its week begins; the last week from memory.
        const Needs last = day_of_course(*c, n, 9, false, n.needs);
        QVERIFY(last.form && last.form->recall && last.form->known == 6);
        const Needs first = day_of_course(*c, n, 0, true, n.needs);
        QVERIFY(!first.form || first.form->known == 1);
        QVERIFY(!first.helper);
    }

    void set_by_hand_it_begins_there() {
        CourseNeeds n = usual();
        n.begins = {{"movement part_the_horses_mane", 6}};
        const auto c = propose_course(n, movements());
        QVERIFY(c.has_value());
        QCOMPARE(week_of(*line_of(*c, "movement part_the_horses_mane"), Beat::begins), 5);
        QVERIFY(wrong(*c, n).isEmpty());
        n.begins = {{"movement part_the_horses_mane", 4}}; // the lighter one
        QCOMPARE(propose_course(n, movements()).error().context, std::string("begins"));
        n.begins = {{"movement part_the_horses_mane", 2}, {"movement gaze_at_the_moon", 2}};
        QCOMPARE(propose_course(n, movements()).error().context, std::string("begins"));
        n.begins = {{"movement nobody_knows", 2}}; // not in it: nothing to set
        QVERIFY(propose_course(n, movements()).has_value());
    }

    void more_than_there_are_weeks_is_said() {
        CourseNeeds n = usual();
        n.weeks = 4, n.needs.wanted.clear();
        for (std::size_t k = 0; k < 12; ++k) n.needs.wanted.push_back(movements()[k].id);
        const auto c = propose_course(n, movements());
        QVERIFY(c.has_value());
        const auto no_room =
            std::count_if(c->left_out.begin(), c->left_out.end(), [](const auto& l) { return l.code == LeftOut::Code::no_room; });
        QCOMPARE(no_room, 10);
    }

    void what_cannot_be_is_refused() {
        for (const auto& [change, where] :
             std::vector<std::pair<std::function<void(CourseNeeds&)>, std::string>>{{[](auto& n) { n.weeks = 3; }, "weeks"},
                                                                                    {[](auto& n) { n.weeks = 13; }, "weeks"},
                                                                                    {[](auto& n) { n.lessons = n.home_days = 0; }, "days"},
                                                                                    {[](auto& n) { n.home_days = 8; }, "days"},
                                                                                    {[](auto& n) { n.lesson_minutes = 3; }, "minutes"},
                                                                                    {[](auto& n) { n.home_minutes = NAN; }, "minutes"},
                                                                                    {[](auto& n) { n.from = ""; }, "from"},
                                                                                    {[](auto& n) { n.from = "2026-02-30"; }, "from"}}) {
            CourseNeeds n = usual();
            change(n);
            const auto c = propose_course(n, movements());
            QVERIFY(!c && c.error().code == Code::bad_value);
            QCOMPARE(c.error().context, where);
        }
        const CourseNeeds n = usual();
        const auto c = propose_course(n, movements());
        QCOMPARE(propose_course(n, movements(), &*c, 8).error().context, std::string("now"));
        QCOMPARE(propose_course(n, movements(), &*c, 99).error().context, std::string("now"));
        QVERIFY(day_of_course(*c, n, 99, false, n.needs).wanted == n.needs.wanted);
        QCOMPARE(days_after("2026-12-31", 1), std::string("2027-01-01"));
        QCOMPARE(days_after("2028-02-28", 1), std::string("2028-02-29"));
        QCOMPARE(days_after("nonsense", 1), std::string());
        QCOMPARE(days_after("2199-12-31", 1), std::string());
    }

    void corrupt_files_are_refused() {
        const std::string good = course_text(*propose_course(usual(), movements()));
        QVERIFY(parse_course(good).has_value());
        for (const auto& [from, to] : std::vector<std::pair<std::string, std::string>>{{"\"bevel_course\": 1", "\"bevel_course\": 2"},
                                                                                       {"\"2026-12-07\"", "\"2026-13-07\""},
                                                                                       {"\"recall\"", "\"recal\""},
                                                                                       {"\"begins\"", "\"began\""},
                                                                                       {"\"missed\": false", "\"missed\": 0"},
                                                                                       {"\"ladder\": 0", "\"ladder\": 99"},
                                                                                       {"\"pace\": 1.0", "\"pace\": 1e9"},
                                                                                       {"\"beats\": [", "\"beats\": [\"rests\", "}}) {
            std::string bad = good;
            const auto at = bad.find(from);
            QVERIFY2(at != std::string::npos, from.c_str());
            bad.replace(at, from.size(), to);
            QVERIFY2(!parse_course(bad), to.c_str());
        }
        Rng rng(5);
        for (int k = 0; k < 400; ++k) { // cut anywhere, a byte changed anywhere: refused or read, never more
            std::string bad = good.substr(0, static_cast<std::size_t>(rng.uniform(0, static_cast<double>(good.size()))));
            QVERIFY(!parse_course(bad));
            bad = good;
            bad[static_cast<std::size_t>(rng.uniform(0, static_cast<double>(good.size()) - 1))] = static_cast<char>(rng.uniform(0, 255));
            if (const auto read = parse_course(bad)) QVERIFY(read->weeks.size() <= 25);
        }
        for (const char* text : {"", "[]", "{}", "null", "{\"bevel_course\":1,\"weeks\":[],\"threads\":[],\"left_out\":[]}"})
            QVERIFY(!parse_course(text));
    }
};

QTEST_GUILESS_MAIN(TestCourse)
#include "test_course.moc"
