// The desk: what an instructor does, without a window. Keys of findings in every form that was ever kept; from points to a review, a
// decision, what became better; people's needs; the file of needs.
#include "core/files.h"
#include "core/form/pieces.h"
#include "core/review/agreed.h"
#include "desk/changes.h"
#include "desk/found.h"
#include "desk/intake.h"
#include "desk/letter.h"
#include "desk/library_forms.h"
#include "desk/needs.h"
#include "desk/needs_file.h"
#include "desk/open_review.h"
#include "desk/person_sheet.h"
#include "desk/quiet_tests.h"
#include "support/synthetic.h"
#include <nlohmann/json.hpp>
#include <QDate>
#include <QTemporaryDir>
#include <QTest>
#include <sqlite3.h>

using namespace bevel;
namespace fs = std::filesystem;

class TestDesk : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    fs::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }
    Forms forms_;

    static Track performed(const Movement& m, std::vector<sim::FaultSpec> faults, std::uint64_t seed = 7) {
        sim::TakeOptions o = sim::take_of(seed, 1.68);
        o.phone.view = View::front;
        o.student.faults = std::move(faults);
        o.student.score.repetitions = 3;
        return test::pixel_track(sim::Take(m, o), 0.8, seed);
    }
    /// A clip of that person whose points are there, judged.
    std::int64_t clip_of(Library& lib, std::int64_t person, const Movement& m, const std::string& day, std::vector<sim::FaultSpec> faults) {
        const auto film = path("film-" + day + ".mp4");
        QFile f(QString::fromStdString(film.string()));
        if (!f.open(QIODevice::WriteOnly)) return 0;
        f.write(("a film of " + day).c_str());
        f.close();
        Clip c;
        c.person = person, c.movement = m.id, c.view = "front", c.filmed_on = c.arrived_on = day;
        const auto id = lib.clips().add(c, film);
        if (!id || !lib.tracks().save(*id, performed(m, std::move(faults)))) return 0;
        Person who;
        const auto people = lib.people().all();
        for (const auto& p : *people)
            if (p.id == person) who = p;
        const auto looked = judge_clip(lib, forms_, who, *lib.clips().get(*id));
        if (looked && looked->what == Looked::What::ready) return *id;
        qWarning("%s", (looked ? looked->why : looked.error()).context.c_str());
        return 0;
    }
    static std::int64_t person(Library& lib, const std::string& name) {
        Person p;
        p.name = name;
        p.stature_m = 1.68;
        return lib.people().add(p).value_or(0);
    }

private slots:
    void initTestCase() { forms_ = shipped_forms(test::data_dir()); }

    void what_was_asked_and_what_became_of_it() {
        PersonSheet s;
        const auto kept = [](const char* day, std::int64_t clip, const char* movement, const char* check, const char* side) {
            RecordLine l;
            l.day = day, l.what = RecordLine::What::kept, l.clip = clip, l.movement = movement, l.check = check, l.side = side;
            return l;
        };
        s.record = {kept("2026-10-01", 1, "gaze", "trunk_lean.high", ""), kept("2026-10-12", 2, "gaze", "knee_in.high", "left"),
                    kept("2026-10-12", 2, "gaze", "knee_in.high", "left"), kept("2026-10-12", 2, "gaze", "head.high", ""),
                    kept("2026-11-02", 3, "clouds", "stance.low", "")};
        LetterLine sent;
        sent.clip = 2, sent.sent_on = "2026-10-14";
        s.letters = {sent};
        const auto figure = [](const char* day, const char* check, const char* side, double value) {
            KeptFigure f;
            f.day = day, f.movement = "gaze", f.check = check, f.side = side, f.measure = "knee.inward", f.unit = "deg", f.view = "front";
            f.value = value, f.own = 0.5, f.high = 6, f.matters = 5, f.judged = 4;
            return f;
        };
        s.trends = trends_of({figure("2026-10-12", "knee_in", "left", 18), figure("2026-10-20", "knee_in", "left", 17.9),
                              figure("2026-11-05", "knee_in", "left", 9), figure("2026-10-12", "head", "", 9)});
        // Of the newest letter about this movement alone, each once.
        const auto now = became_of(s, "gaze");
        QCOMPARE(now.size(), std::size_t{2});
        QCOMPARE(now[0].key, (FindingKey{"", "knee_in", Side::left, Direction::high}));
        QCOMPARE(now[0].day, std::string("2026-10-14")); // the letter's, not the clip's
        QVERIFY(now[0].trend && now[0].told_since);
        QVERIFY(now[1].trend && !now[1].told_since);
        QCOMPARE(became_of(s, "clouds").size(), std::size_t{1});
        QVERIFY(!became_of(s, "clouds")[0].trend);
        QVERIFY(became_of(s, "nothing").empty());
        // A change is told from where it began: the last step where that is one, the whole way where only that is.
        for (const auto& t : s.trends) {
            const auto* from = changed_from(t);
            QCOMPARE(from == nullptr, !t.last.has_value());
            if (!from) continue;
            const bool whole = t.last->turn == Turn::none && t.since_first->turn == Turn::better;
            QVERIFY(std::abs(t.points.back().value - from->value - (whole ? t.since_first : t.last)->value) < 1e-12);
        }
    }

    void the_list_for_the_hall_has_one_thing_of_each_and_what_holds_that_day() {
        auto lib = Library::open(path("hall"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada"), bo = person(*lib, "Bo");
        Agreement a;
        a.person = bo, a.check = check_of_limit("no_bends"), a.off = true, a.reason = "A stiff back.", a.from_day = "2026-10-01",
        a.until_day = "2026-10-31";
        QVERIFY(lib->decisions().save_agreement(a).has_value());
        for (const auto& [day, holds] :
             {std::pair{"2026-09-30", false}, {"2026-10-01", true}, {"2026-10-31", true}, {"2026-11-01", false}}) {
            const auto lines = hall_lines(*lib, day);
            QVERIFY(lines.has_value());
            QCOMPARE(lines->size(), std::size_t{2});
            QCOMPARE((*lines)[0].name, std::string("Ada"));
            QVERIFY((*lines)[0].limits.empty() && (*lines)[0].asked.empty() && (*lines)[0].check.empty());
            QCOMPARE((*lines)[1].limits.size(), std::size_t{holds ? 1U : 0U});
        }
        const auto clip = clip_of(*lib, ada, forms_.movements->at(0), "2026-11-02", {});
        Q_UNUSED(clip)
        const auto people = person_lines(*lib);
        QVERIFY(people.has_value());
        QCOMPARE(people->size(), std::size_t{2});
        QVERIFY(!(*people)[1].last.has_value());
    }

    void what_a_person_may_not_do_is_not_proposed_for_home() {
        auto lib = Library::open(path("home"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada");
        const auto clip = clip_of(*lib, ada, test::movement("one_leg_stand"), "2026-11-02", {});
        QVERIFY(clip != 0);
        const auto open = load_review(*lib, forms_, clip, "en");
        QVERIFY(open.has_value());
        QVERIFY(home_gate(**open, *lib, forms_, "2026-11-03").itself);
        Agreement a;
        a.person = ada, a.check = check_of_limit("no_balance"), a.off = true, a.reason = "Unsteady.", a.until_day = "2026-11-30";
        QVERIFY(lib->decisions().save_agreement(a).has_value());
        const auto now = home_gate(**open, *lib, forms_, "2026-11-03");
        QVERIFY(!now.itself && now.barred.contains("one_leg_stand") && !now.hurt);
        QVERIFY(home_gate(**open, *lib, forms_, "2026-12-03").itself); // it is over
        OpenReview sore = **open;
        sore.condition.pain = "left knee";
        const auto hurt = home_gate(sore, *lib, forms_, "2026-12-03");
        QVERIFY(!hurt.itself && hurt.hurt && !hurt.barred.contains("one_leg_stand"));
    }

    // A form does not walk past what a person may not do: it is barred for home as soon as one of its parts is.
    void a_form_is_barred_for_home_by_its_parts() {
        auto lib = Library::open(path("form_home"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada");
        Agreement a;
        a.person = ada, a.check = check_of_limit("seated"), a.off = true, a.reason = "Agreed.";
        for (const bool seated_only : {false, true}) {
            if (seated_only) QVERIFY(lib->decisions().save_agreement(a).has_value());
            for (const auto& form : *forms_.linked) {
                OpenReview open;
                open.person.id = ada;
                open.clip.movement = clip_id(form);
                auto review = std::make_shared<Review>();
                review->movement.id = clip_id(form);
                open.review = review;
                const auto gate = home_gate(open, *lib, forms_, "2026-11-03");
                // Only the seated set is done on a chair all through.
                const bool barred_one = seated_only && form.id != "seated_set";
                QVERIFY2(gate.barred.contains(clip_id(form)) == barred_one, form.id.c_str());
                QVERIFY(!gate.itself); // nor is a form proposed by itself
            }
        }
    }

    // Whatever is agreed, what the gate bars and what it lets pass are the same at home as in a plan.
    void home_asks_the_gate_that_plans_ask() {
        auto lib = Library::open(path("gates"));
        QVERIFY(lib.has_value());
        int barred_ones = 0, day = 10;
        const auto who = person(*lib, "Ada");
        const auto clip = clip_of(*lib, who, test::movement("bend_and_swing"), "2026-11-02", {});
        // Each limit holds on a day of its own.
        for (const char* limit :
             {"seated", "no_overhead", "no_balance", "no_bends", "no_twists", "high_stance", "care_knees", "care_neck"}) {
            const std::string today = "2026-11-" + std::to_string(day++);
            Agreement a;
            a.person = who, a.check = check_of_limit(limit), a.off = true, a.reason = "Agreed.";
            a.from_day = a.until_day = today;
            QVERIFY(lib->decisions().save_agreement(a).has_value());
        }
        const auto open = load_review(*lib, forms_, clip, "en");
        QVERIFY(open.has_value());
        day = 10;
        for (const char* limit :
             {"seated", "no_overhead", "no_balance", "no_bends", "no_twists", "high_stance", "care_knees", "care_neck", ""}) {
            const auto gate = home_gate(**open, *lib, forms_, "2026-11-" + std::to_string(day++));
            Needs needs;
            if (*limit != 0) needs.limits.insert(limit); // the last day has none
            for (const auto& m : *forms_.movements) {
                const bool shown = m.id == (*open)->review->movement.id;
                const auto want = shown ? barred(m, (*open)->review->movement.version, needs) : pass(m, needs).barred;
                QVERIFY2(want.has_value() == gate.barred.contains(m.id), qPrintable(QString::fromStdString(m.id + " " + limit)));
                barred_ones += want.has_value() ? 1 : 0;
            }
            for (const auto& m : *forms_.movements)
                for (const auto& check : m.checks) {
                    Finding f;
                    f.rule = check.rule;
                    const auto with = proposed_with(m, f, true, !gate.barred.contains(m.id));
                    if (gate.barred.contains(m.id)) QVERIFY(with.drill.empty() && with.homework.empty());
                }
        }
        QVERIFY(barred_ones > 20);
    }

    // Two clips of one student that wait are one visit and one letter; what it says of each is kept with each.
    void two_clips_of_one_student_are_one_letter() {
        auto lib = Library::open(path("visit"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada"), bo = person(*lib, "Bo");
        const auto first = clip_of(*lib, ada, test::movement("gaze_at_the_moon"), "2026-11-02", {});
        const auto of_bo = clip_of(*lib, bo, test::movement("gaze_at_the_moon"), "2026-11-03", {});
        const auto second = clip_of(*lib, ada, test::movement("separate_the_clouds"), "2026-11-04", {});
        const auto late = clip_of(*lib, ada, test::movement("look_behind"), "2026-11-20", {});
        QVERIFY(first && of_bo && second && late);
        const auto order = by_visit(*lib->letters().waiting());
        std::vector<std::int64_t> ids;
        for (const auto& w : order) ids.push_back(w.clip);
        QCOMPARE(ids, (std::vector<std::int64_t>{first, second, of_bo, late})); // a visit is looked at in one go
        QCOMPARE(visit_beside(*lib, *lib->clips().get(first)), std::vector<std::int64_t>{second});
        QCOMPARE(visit_beside(*lib, *lib->clips().get(of_bo)), std::vector<std::int64_t>{});
        for (const auto& w : order) { // what the evening counts is what a letter answers
            std::vector<std::int64_t> beside;
            for (const auto& x : order)
                if (x.clip != w.clip && same_visit(w, x)) beside.push_back(x.clip);
            QCOMPARE(beside, visit_beside(*lib, *lib->clips().get(w.clip)));
        }

        LetterRecord l;
        l.clip = first, l.checks = {"upright.high"}, l.opening = "Dear Ada,";
        l.also = {{second, {"stance.low/left"}, {{"stance.low/left", {"Half of it", "", {}}}}}};
        QVERIFY(lib->letters().save(l).has_value());
        const auto kept = lib->letters().of(first)->front();
        QVERIFY(kept.also == l.also && kept.goes_with == 0);
        const auto part = lib->letters().of(second)->front();
        QCOMPARE(part.goes_with, first);
        QCOMPARE(part.checks, l.also[0].checks);
        QCOMPARE(part.with.at("stance.low/left").drill, std::string("Half of it"));
        const auto opened = load_visit(*lib, forms_, l, ada, "en");
        QVERIFY(opened && opened->size() == 1 && opened->front()->clip.id == second);
        // Taken out again, it has a letter of its own, with nothing chosen.
        LetterRecord alone = l;
        alone.also.clear();
        QVERIFY(lib->letters().save(alone).has_value());
        QVERIFY(lib->letters().of(second)->front().goes_with == 0 && lib->letters().of(second)->front().checks.empty());
        // Sent, both are answered, and each knows what was asked in it.
        QVERIFY(lib->letters().save(l).has_value());
        SentLetter sent;
        sent.person = ada, sent.clip = first, sent.sent_at = "2026-11-05T20:00:00", sent.kind = "pdf";
        QVERIFY(lib->letters().keep_sent(sent).has_value());
        QVERIFY(lib->letters().set_sent(first, "2026-11-06", "mail").has_value());
        for (const auto id : {first, second}) QCOMPARE(lib->letters().of(id)->front().sent_on, std::string("2026-11-06"));
        QCOMPARE(lib->letters().sent(ada)->size(), std::size_t{1});
        QCOMPARE(lib->letters().said_before(ada, "separate_the_clouds", "stance.low/left")->times, 1);
        QCOMPARE(lib->letters().said_before(ada, "gaze_at_the_moon", "stance.low/left")->times, 0);
        QVERIFY(lib->letters().set_answered(first, "2026-11-07", "Thank you").has_value());
        QCOMPARE(lib->letters().of(second)->front().answer, std::string("Thank you"));
        ids.clear();
        const auto waiting = *lib->letters().waiting();
        for (const auto& w : waiting) ids.push_back(w.clip);
        QCOMPARE(ids, (std::vector<std::int64_t>{of_bo, late}));
    }

    // A clip that turns out to be somebody else's does not go out with a letter that named it.
    void nothing_of_another_person_goes_with_a_letter() {
        auto lib = Library::open(path("strange"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada"), bo = person(*lib, "Bo");
        const auto first = clip_of(*lib, ada, test::movement("gaze_at_the_moon"), "2026-11-02", {});
        const auto second = clip_of(*lib, ada, test::movement("separate_the_clouds"), "2026-11-03", {});
        LetterRecord l;
        l.clip = first, l.also = {{second, {"stance.low"}, {}}, {9999, {"stance.low"}, {}}, {first, {}, {}}};
        QVERIFY(lib->letters().save(l).has_value()); // what is gone and itself are left alone
        QVERIFY(lib->letters().of(first)->front().goes_with == 0);
        auto clip = *lib->clips().get(second);
        clip.person = bo;
        QVERIFY(lib->clips().set_facts(clip).has_value());
        const auto no = load_visit(*lib, forms_, l, ada, "en");
        QVERIFY(!no && no.error().code == Code::no_longer_so);
        // Saved again while the letter was open: Bo's clip is not touched, and keeps its own letter.
        QVERIFY(lib->letters().set_sent(second, "", "").has_value());
        LetterRecord own;
        own.clip = second, own.checks = {"knee.high"};
        QVERIFY(lib->letters().save(own).has_value());
        QVERIFY(lib->letters().save(l).has_value());
        QCOMPARE(lib->letters().of(second)->front().checks, own.checks);
        SentLetter sent;
        sent.person = ada, sent.clip = first, sent.sent_at = "2026-11-05T20:00:00", sent.kind = "pdf";
        QVERIFY(lib->letters().keep_sent(sent).has_value());
        QVERIFY(lib->letters().of(second)->front().sent_on.empty());
    }

    // A clip that was taken for Ada's is Bo's: what was written to her is not sent to him, nor counted as said to him.
    void a_letter_does_not_follow_a_clip_to_somebody_else() {
        auto lib = Library::open(path("follow"));
        QVERIFY(lib.has_value());
        const auto ada = person(*lib, "Ada"), bo = person(*lib, "Bo");
        const auto id = clip_of(*lib, ada, test::movement("gaze_at_the_moon"), "2026-11-02", {});
        const auto later = clip_of(*lib, bo, test::movement("gaze_at_the_moon"), "2026-11-09", {});
        QVERIFY(id && later);
        LetterRecord l;
        l.clip = id, l.checks = {"upright.high"}, l.opening = "Dear Ada,", l.review_on = "2026-11-10";
        QVERIFY(lib->letters().save(l).has_value());
        SentLetter sent;
        sent.person = ada, sent.clip = id, sent.sent_at = "2026-11-03T20:00:00", sent.kind = "pdf";
        QVERIFY(lib->letters().keep_sent(sent).has_value());
        QCOMPARE(lib->letters().of(id)->front().person, ada);
        const auto give = [&](std::int64_t who) {
            auto clip = *lib->clips().get(id);
            clip.person = who;
            return lib->clips().set_facts(clip).has_value();
        };
        const auto waits = [&] {
            const auto waiting = *lib->letters().waiting();
            return std::any_of(waiting.begin(), waiting.end(), [&](const Waiting& w) { return w.clip == id; });
        };
        QVERIFY(!waits());
        QVERIFY(give(bo));
        QVERIFY(lib->letters().of(id)->empty());
        QVERIFY(waits()); // he was not answered
        QVERIFY(lib->letters().lines(bo)->empty() && lib->letters().lines()->empty());
        QVERIFY(lib->letters().due("2026-11-30")->empty());
        QCOMPARE(lib->letters().said_before(bo, "gaze_at_the_moon", "upright.high")->times, 0);
        QVERIFY(lib->records().asked_before(later)->empty());
        QCOMPARE(lib->letters().sent(ada)->size(), std::size_t{1}); // what went out went to her
        QVERIFY(lib->letters().sent(bo)->empty());
        // Said to be hers after all, it is there again.
        QVERIFY(give(ada));
        QCOMPARE(lib->letters().of(id)->front().opening, std::string("Dear Ada,"));
        QVERIFY(!waits());
        // Written to him meanwhile, it is his, and not sent yet.
        QVERIFY(give(bo));
        l.checks = {"knee.high"}, l.opening = "Dear Bo,", l.review_on.clear();
        QVERIFY(lib->letters().save(l).has_value());
        const auto now = lib->letters().of(id)->front();
        QVERIFY(now.opening == "Dear Bo," && now.sent_on.empty() && now.person == bo);
        QVERIFY(waits());
    }

    void a_height_that_nobody_said_is_kept_as_such() {
        auto lib = Library::open(path("unsaid"));
        QVERIFY(lib.has_value());
        Person p;
        p.name = "Odo";
        p.height_said = false;
        const auto id = *lib->people().add(p);
        const auto now = [&] { return lib->people().all()->front(); };
        QVERIFY(!now().height_said && lib->people().heights(id)->empty());
        QVERIFY(!lib->people().height_at(id, "2026-11-01").has_value());
        QVERIFY(!review_options(forms_, Clip{}, now()).stature_m);
        QVERIFY(lib->people().set_height(id, "", 1.66).has_value());
        QVERIFY(now().height_said && std::abs(*review_options(forms_, Clip{}, now()).stature_m - 1.66) < 1e-9);
        QVERIFY(lib->people().forget_heights(id).has_value());
        QVERIFY(!now().height_said);
    }

    void a_key_reads_what_was_ever_kept_data() {
        QTest::addColumn<QString>("kept");
        QTest::addColumn<QString>("check");
        QTest::addColumn<QString>("side");
        QTest::addColumn<QString>("direction");
        QTest::addColumn<QString>("now");
        const auto row = [](const char* kept, const char* check, const char* side, const char* direction, const char* now) {
            QTest::newRow(kept) << QString::fromLatin1(kept) << QString::fromLatin1(check) << QString::fromLatin1(side)
                                << QString::fromLatin1(direction) << QString::fromLatin1(now);
        };
        row("stance.low/", "stance", "", "low", "stance.low/");
        row("front_knee_ahead.high/left", "front_knee_ahead", "left", "high", "front_knee_ahead.high/left");
        row("stance/", "stance", "", "", "stance/"); // letters before directions
        row("knee_in/right", "knee_in", "right", "", "knee_in/right");
        row("stance", "stance", "", "", "stance/"); // a check alone
        row("stance.high", "stance", "", "high", "stance.high/");
        row("trunk_lean@turn.low/", "trunk_lean@turn", "", "low", "trunk_lean@turn.low/"); // of one phase
        row("seen:12/left", "seen:12", "left", "", "seen:12/left");
        row("limit.high_stance", "limit.high_stance", "", "", "limit.high_stance/");
        row("3~stance.low/right", "stance", "right", "low", "3~stance.low/right"); // of a part of a form
        row("", "", "", "", "/");
        row("/////", "////", "", "", "/////");
        row("../../x.low/up", "../../x", "", "low", "../../x.low/");
    }
    void a_key_reads_what_was_ever_kept() {
        QFETCH(QString, kept);
        QFETCH(QString, check);
        QFETCH(QString, side);
        QFETCH(QString, direction);
        QFETCH(QString, now);
        const auto k = FindingKey::read(kept.toStdString());
        QCOMPARE(QString::fromStdString(k.check), check);
        QCOMPARE(QString::fromStdString(k.side_text()), side);
        QCOMPARE(QString::fromLatin1(direction_name(k.direction).data()), direction);
        QCOMPARE(QString::fromStdString(k.text()), now);
        QVERIFY(FindingKey::read(k.text()) == k);
        QVERIFY(FindingKey::read(k.check_text(), k.side_text()) == k);
        QCOMPARE(k.either().direction, Direction::none);
    }

    void a_key_means_its_own_finding() {
        Finding f;
        f.check = "stance", f.direction = Direction::low, f.side = Side::left;
        QVERIFY(FindingKey::of(f).means(f));
        QVERIFY(FindingKey::read("stance/left").means(f));
        for (const char* other : {"stance.high/left", "stance.low/right", "stance.low/", "stances.low/left", "", "stance"})
            QVERIFY2(!FindingKey::read(other).means(f), other);
        QVERIFY(means_one_of(FindingKey::read("stance/left"), {&f}) && !means_one_of(FindingKey::read("stance/right"), {&f}));
        QCOMPARE(FindingKey::read("seen:41/").seen(), std::optional<std::int64_t>(41));
        for (const char* none : {"seen:", "seen:x", "seen:1x", "stance", "seen: 4"}) QVERIFY2(!FindingKey::read(none).seen(), none);
        QCOMPARE(FindingKey::read(FindingKey::seen_check(9)).seen(), std::optional<std::int64_t>(9));
    }

    void praise_and_limits_have_their_own_text() {
        for (const char* kept : {"better:stance/left", "better:knee_in/", "stance/", ""}) {
            const auto p = Praise::read(kept);
            QCOMPARE(QString::fromStdString(p.text()), QString::fromLatin1(kept));
            QCOMPARE(p.better, std::string(kept).starts_with("better:"));
            QCOMPARE(p.empty(), std::string(kept).empty());
        }
        QVERIFY(Praise::read("better:stance/left").key == FindingKey::read("stance/left"));
        QCOMPARE(limit_of(check_of_limit("seated")), std::string("seated"));
        QVERIFY(limit_of("stance").empty() && limit_of("limits.x").empty());
        Agreement a;
        a.check = "limit.no_bends";
        QCOMPARE(a.limit(), std::string("no_bends"));
    }

    void decisions_of_an_older_library_still_count() {
        auto lib = *Library::open(path("old"));
        const auto who = person(lib, "Greta");
        const auto m = *forms_.movement("open_and_close");
        const auto id = clip_of(lib, who, m, "2026-03-01", {{sim::Fault::stance_narrow, 0.4, {}}});
        QVERIFY(id != 0);
        const auto open = load_review(lib, forms_, id, "en");
        QVERIFY(open);
        const Finding* f = test::find(*(*open)->review, "stance");
        QVERIFY(f && f->verdict == Verdict::outside && f->direction == Direction::low);
        // As earlier versions wrote it: the check without a direction.
        sqlite3* db = nullptr;
        QCOMPARE(sqlite3_open((path("old") / "library.sqlite").string().c_str(), &db), SQLITE_OK);
        const std::string sql = "INSERT INTO decision(clip, check_id, side, choice, wording, note) VALUES(" + std::to_string(id) +
                                ", 'stance', '', 1, 'Feet apart.', '')";
        QCOMPARE(sqlite3_exec(db, sql.c_str(), nullptr, nullptr, nullptr), SQLITE_OK);
        sqlite3_close(db);
        auto decisions = lib.decisions().of(id);
        QVERIFY(decisions && decisions->size() == 1);
        QCOMPARE(decision_of(*decisions, *f).choice, Choice::kept);
        QCOMPARE(decision_of(*decisions, *f).wording, std::string("Feet apart."));
        QVERIFY(decision_of(*decisions, *f).key == FindingKey::of(*f));
        // What is decided now about this very end stands above it, in whatever order they are kept.
        QVERIFY(lib.decisions().decide(id, {FindingKey::of(*f), Choice::set_aside}));
        decisions = lib.decisions().of(id);
        QVERIFY(decisions && decisions->size() == 2);
        QCOMPARE(decision_of(*decisions, *f).choice, Choice::set_aside);
        std::reverse(decisions->begin(), decisions->end());
        QCOMPARE(decision_of(*decisions, *f).choice, Choice::set_aside);
        QCOMPARE(decision_of({}, *f).choice, Choice::open);
    }

    void from_points_to_what_became_better() {
        auto lib = *Library::open(path("better"));
        const auto who = person(lib, "Ravi");
        const auto m = *forms_.movement("open_and_close");
        const auto before = clip_of(lib, who, m, "2026-03-01", {{sim::Fault::knee_in, 20, {}}});
        QVERIFY(before != 0);
        auto open = load_review(lib, forms_, before, "de");
        QVERIFY(open);
        QCOMPARE((*open)->language, std::string("de"));
        QVERIFY((*open)->has_file);
        QVERIFY(better_in(lib, (*open)->clip, *(*open)->review)->empty()); // nothing to compare with
        QVERIFY(lib.records().keep_figures(before, figures_of(*(*open)->review)));
        const auto after = clip_of(lib, who, m, "2026-04-01", {});
        QVERIFY(after != 0);
        open = load_review(lib, forms_, after, "en");
        QVERIFY(open);
        const auto better = better_in(lib, (*open)->clip, *(*open)->review);
        QVERIFY(better && better->contains(FindingKey::read("knee_in/left")));
        QCOMPARE(better->at(FindingKey::read("knee_in/left")).since, std::string("2026-03-01"));
        // Nobody's clip has become better than anybody's.
        Clip nobodys = (*open)->clip;
        nobodys.person = 0;
        QVERIFY(better_in(lib, nobodys, *(*open)->review)->empty());
        // By bands alone it need not be looked at anew; by another movement it must.
        const auto again = judged_by_bands(**open, forms_, {});
        QVERIFY(again && again->review->findings.size() == (*open)->review->findings.size());
        Forms without = forms_;
        without.movements = std::make_shared<const std::vector<Movement>>();
        QVERIFY(!judged_by_bands(**open, without, {}));
        const auto gone = load_review(lib, without, after, "en");
        QVERIFY(!gone && gone.error().code == Code::not_found && gone.error().context == m.id);
        QVERIFY(!load_review(lib, forms_, 4711, "en"));
    }

    void a_clip_goes_its_way_without_a_window() {
        auto lib = *Library::open(path("way"));
        const auto who = person(lib, "Mei");
        const auto m = *forms_.movement("open_and_close");
        QFile f(QString::fromStdString(path("way.mp4").string()));
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write("a film");
        f.close();
        Clip c;
        c.person = who, c.movement = m.id, c.view = "front", c.filmed_on = c.arrived_on = "2026-05-01";
        const auto id = *lib.clips().add(c, path("way.mp4"));
        Person p;
        p.id = who, p.name = "Mei", p.stature_m = 1.6;
        // Without points its turn comes.
        auto looked = judge_clip(lib, forms_, p, *lib.clips().get(id));
        QVERIFY(looked && looked->what == Looked::What::waits);
        QCOMPARE(lib.clips().get(id)->state, ClipState::waiting);
        QVERIFY(std::abs(*lib.people().height_at(who, "2026-05-01") - 1.6) < 1e-9); // the height that was said
        // With them it is judged.
        QVERIFY(lib.tracks().save(id, performed(m, {})));
        looked = look_again(lib, forms_, id);
        QVERIFY(looked && looked->what == Looked::What::ready);
        QCOMPARE(lib.clips().get(id)->state, ClipState::tracked);
        // What cannot be judged is a reason to say so.
        Clip other = *lib.clips().get(id);
        Track part = performed(m, {});
        part.time_s.resize(15), part.px.resize(15), part.m.resize(15);
        QVERIFY(lib.tracks().save(id, part));
        looked = judge_clip(lib, forms_, p, other);
        QVERIFY(looked && looked->what == Looked::What::refused);
        QCOMPARE(looked->why.code, Code::cannot_judge);
        QCOMPARE(lib.clips().get(id)->state, ClipState::failed);
        // Nobody's clip is asked about.
        const auto listed = list_clips(lib);
        QVERIFY(listed && listed->rows.size() == 1 && listed->rows.front().person.name == "Mei" && listed->all == 1);
        QVERIFY(!take_in(lib, path("none.mp4"), false, false, {}, {}));
    }

    void limits_the_day_and_what_was_taught_reach_the_options() {
        const auto& m = *forms_.movement("opening_rise_and_sink");
        Clip c;
        c.movement = m.id, c.view = "left", c.mirrored = true;
        Person p;
        p.stature_m = 1.55, p.shoulder_width_m = 0.33;
        Agreement limit;
        limit.check = check_of_limit("high_stance"), limit.off = true, limit.reason = "knees";
        Agreement once;
        once.clip = 5, once.check = "trunk_lean", once.high = 12, once.reason = "today";
        Condition day;
        day.energy = 2, day.pain = "my left knee";
        const auto o = review_options(forms_, c, p, {limit, once}, {m.id, "", m.phases.front().id}, day);
        QVERIFY(o.view == View::left && o.mirrored && o.stature_m == 1.55);
        QCOMPARE(o.adaptations.size() >= changes_of_limit("high_stance", "x").size(), true);
        QVERIFY(std::any_of(o.clip.begin(), o.clip.end(), [](const BandChange& b) { return b.check == "trunk_lean" && b.high == 12; }));
        // The program's own reasons are sentences that can be translated.
        std::set<std::string> said;
        for (const auto* list : {&o.clip, &o.adaptations})
            for (const auto& b : *list) said.insert(b.reason);
        for (const auto& r : reasons_said()) QVERIFY2(said.contains(r), r.c_str());
        // What comes after the phase that was taught last is off.
        QVERIFY(std::any_of(o.adaptations.begin(), o.adaptations.end(), [](const BandChange& b) { return b.off && !b.check.empty(); }));
        const auto all = review_options(forms_, c, p);
        QVERIFY(all.adaptations.empty() && all.clip.empty());
    }

    void what_one_may_not_do_nobody_of_the_group_is_led_to() {
        const auto known = [](const char* name, std::vector<std::string> limits, int step, std::vector<std::string> practised) {
            PersonNeeds n;
            n.person.name = name;
            n.facts.balance_step = step;
            n.practised = std::move(practised);
            for (const auto& l : limits) {
                Agreement a;
                a.check = check_of_limit(l), a.off = true, a.reason = "r";
                n.agreements.push_back(a);
            }
            return n;
        };
        auto one = known("a", {"no_balance"}, 5, {"walk_forward", "open_and_close"});
        auto two = known("b", {"no_overhead", "seated"}, 2, {"open_and_close"});
        auto three = known("c", {}, 0, {"open_and_close", "creep_low"});
        for (int k = 0; k < 3; ++k) one.asked.push_back({"walk_forward", "W" + std::to_string(k + 1), ""});
        two.asked = {{"walk_forward", "W1", ""}, {"open_and_close", "S1", ""}};
        Needs n;
        know_group(n, std::vector<PersonNeeds>{one, two, three});
        QCOMPARE(n.limits, (std::set<std::string>{"no_balance", "no_overhead", "seated"}));
        QCOMPARE(n.balance_step, 2); // the lowest that is known
        QCOMPARE(n.practised, std::vector<std::string>{"open_and_close"});
        QCOMPARE(n.asked.size(), std::size_t{3});
        Needs alone;
        two.facts.taught = {{"open_and_close", "Seated", ""}};
        know_person(alone, two);
        QCOMPARE(alone.limits, (std::set<std::string>{"no_overhead", "seated"}));
        QCOMPARE(alone.versions.at("open_and_close"), std::string("Seated"));
        Needs nobody;
        know_group(nobody, std::vector<PersonNeeds>{});
        QVERIFY(nobody.limits.empty() && nobody.practised.empty());
    }

    void the_seed_is_of_the_day_and_the_person() {
        for (const char* day : {"1970-01-01", "2026-11-30", "2000-02-29", "2199-12-31"})
            QCOMPARE(seed_of_day(day, 3),
                     static_cast<std::uint64_t>(QDate::fromString(QLatin1String(day), Qt::ISODate).toJulianDay()) * 1000003 + 3);
        QVERIFY(seed_of_day("2026-11-30", 1) != seed_of_day("2026-11-29", 1));
        (void)seed_of_day("", 1), (void)seed_of_day("2026-99-99", 1), (void)seed_of_day("nonsense..", 1);
    }

    void a_quiet_test_is_kept_and_compared_with_ones_own_past() {
        auto lib = *Library::open(path("tests-library"));
        const auto anna = person(lib, "Anna"), ben = person(lib, "Ben");
        const auto stand = [&](const char* day, double left, double right, std::vector<std::string> notes = {}) {
            KeptTest t;
            t.person = anna, t.day = day, t.test = QuietTest::one_leg_stand, t.notes = std::move(notes);
            t.figures = figures_to_type(t.test);
            t.figures[0].value = left, t.figures[1].value = right;
            return t;
        };
        const KeptTest first = stand("2026-09-01", 8, 9);
        QVERIFY(lib.quiet_tests().keep(first));
        const auto of = [&](std::int64_t who) { return *lib.quiet_tests().of(who); };
        QVERIFY(of(anna).size() == 1 && of(ben).empty());
        QVERIFY(of(anna)[0].figures == first.figures && of(anna)[0].test == first.test && of(anna)[0].day == first.day);
        QVERIFY(steadier_side(of(anna)).empty()); // a second is nothing
        auto trends = test_trends(of(anna));
        QCOMPARE(trends.size(), std::size_t{2});
        QVERIFY(!trends[0].last); // the first of its kind is no change
        const auto second = lib.quiet_tests().keep(stand("2026-10-01", 8.5, 21));
        QVERIFY(second.has_value());
        trends = test_trends(of(anna));
        for (const auto& t : trends) {
            QVERIFY(t.last.has_value());
            QCOMPARE(changed_for_sure(*t.last), t.points.back().side == "right"); // 12 s, and half a second
            QVERIFY(t.last->turn == Turn::none);                                  // neither better nor worse
        }
        QCOMPARE(steadier_side(of(anna)), std::string("right"));
        QCOMPARE(person_needs(lib, anna, "2026-10-02", forms_)->steadier, std::string("right"));
        Needs needs;
        know_person(needs, *person_needs(lib, anna, "2026-10-02", forms_));
        QCOMPARE(needs.steadier, std::string("right"));
        needs.steadier = "left"; // what was said today holds
        know_person(needs, *person_needs(lib, anna, "2026-10-02", forms_));
        QCOMPARE(needs.steadier, std::string("left"));
        // As lines for others: two figures of each, and what would be a formula is text.
        KeptTest sly = stand("2026-10-05", 1, 1);
        sly.words = "=2+2, \"twice\"";
        const QString csv = QString::fromStdString(tests_csv({first, sly}));
        QCOMPARE(csv.count(QStringLiteral("\r\n")), 5);
        QVERIFY(csv.contains(QStringLiteral("2026-09-01,one_leg_stand,time,left,8,0.4,s")) &&
                csv.contains(QStringLiteral("\"'=2+2, \"\"twice\"\"\"")));
        // With a hand on something it tells of the chair.
        QVERIFY(lib.quiet_tests().keep(stand("2026-11-01", 5, 28, {"supported"})));
        QVERIFY(steadier_side(of(anna)).empty());
        QVERIFY(lib.quiet_tests().drop(*second));
        QCOMPARE(of(anna).size(), std::size_t{2});
        // Nonsense is refused, a damaged line hides nobody.
        KeptTest bad = first;
        bad.day = "";
        QVERIFY(!lib.quiet_tests().keep(bad));
        bad = first, bad.figures.clear();
        QVERIFY(!lib.quiet_tests().keep(bad));
        bad = first, bad.figures[0].value = NAN;
        QVERIFY(!lib.quiet_tests().keep(bad));
        bad = first, bad.figures[0].sigma = -1;
        QVERIFY(!lib.quiet_tests().keep(bad));
        sqlite3* db = nullptr;
        QCOMPARE(sqlite3_open((path("tests-library") / "library.sqlite").c_str(), &db), SQLITE_OK);
        QCOMPARE(
            sqlite3_exec(db, "UPDATE quiet_test SET body='{\"figures\":[{\"id\":1}]}' WHERE day='2026-11-01'", nullptr, nullptr, nullptr),
            SQLITE_OK);
        sqlite3_close(db);
        QCOMPARE(of(anna).size(), std::size_t{1});
        QVERIFY(load_person(lib, anna).has_value());
        QVERIFY(lib.people().erase(anna).has_value());
        QVERIFY(of(anna).empty());
        QVERIFY(figures_to_type(QuietTest::quiet_stand).empty()); // sway is not seen by eye
    }

    void a_quiet_test_follows_its_clip_to_whoever_it_shows() {
        auto lib = *Library::open(path("clip-tests-library"));
        const auto anna = person(lib, "Anna"), ben = person(lib, "Ben");
        const auto& m = *forms_.movement("opening_rise_and_sink");
        const auto id = clip_of(lib, anna, m, "2026-11-03", {});
        QVERIFY(id != 0);
        const auto taken = test_of_clip(lib, forms_, id, QuietTest::quiet_stand);
        // A stand of some seconds before the movement is too short for sway: it says so and makes nothing up.
        if (!taken) QCOMPARE(taken.error().code, Code::cannot_judge);
        const auto none = test_of_clip(lib, forms_, id, QuietTest::sit_to_stand);
        QVERIFY(!none && none.error().code == Code::cannot_judge);
        QVERIFY(!test_of_clip(lib, forms_, 999, QuietTest::quiet_stand));
        KeptTest t;
        t.person = anna, t.clip = id, t.day = "2026-11-03", t.view = "front", t.test = QuietTest::heel_raises;
        t.figures = {{"raises", "", {}, 5, 0}};
        QVERIFY(lib.quiet_tests().keep(t));
        Clip c = *lib.clips().get(id);
        c.person = ben;
        QVERIFY(lib.clips().set_facts(c));
        QVERIFY(lib.quiet_tests().of(anna)->empty());
        QCOMPARE(lib.quiet_tests().of(ben)->size(), std::size_t{1});
        QVERIFY(lib.clips().remove(id));
        QCOMPARE(lib.quiet_tests().of(ben)->front().clip, std::int64_t{0}); // the figures stay, the clip is gone
    }

    void a_long_clip_is_guessed_to_be_a_form_and_a_short_one_a_movement() {
#if __has_feature(address_sanitizer)
        QSKIP("every movement against a long clip: minutes under a sanitizer, and nothing in it reads files");
#endif
        auto lib = *Library::open(path("guessing-library"));
        const auto film = path("guess-film.mp4");
        QVERIFY(write_whole(film, "a film"));
        Clip c;
        c.filmed_on = c.arrived_on = "2026-11-20";
        const auto id = lib.clips().add(c, film);
        QVERIFY(id.has_value());
        sim::TakeOptions o = sim::take_of(5, 1.70);
        o.phone.view = View::front;
        o.phone.distance_m = 5;
        const auto course = link(*forms_.form("form:follow_step_six"), *forms_.movements);
        const Track whole = test::pixel_track(sim::Take(course->score(), o), 0.8, 5);
        const auto guess = guess_clip(lib, *lib.clips().get(*id), whole, *forms_.movements, *forms_.linked);
        QVERIFY(guess.has_value() && !guess->movements.empty());
        QCOMPARE(guess->movements.front().movement, std::string("form:follow_step_six"));
        QVERIFY(guess->movements.front().probability > 0.6);
        // Stopped on the way it is no guess at all.
        std::stop_source ended;
        ended.request_stop();
        const auto none = guess_clip(lib, *lib.clips().get(*id), whole, *forms_.movements, *forms_.linked, ended.get_token());
        QVERIFY(!none && none.error().code == Code::cancelled);
        // Many repetitions of one movement are that movement, however long.
        o.student.score.repetitions = 4;
        const Track same = test::pixel_track(sim::Take(*forms_.movement("part_the_horses_mane"), o), 0.8, 5);
        QVERIFY(same.time_s.back() > 45);
        const auto one = guess_clip(lib, *lib.clips().get(*id), same, *forms_.movements, *forms_.linked);
        QVERIFY(one.has_value() && !one->movements.empty());
        QCOMPARE(one->movements.front().movement, std::string("part_the_horses_mane"));
    }
    /// A letter about a form asks for its parts' movements, and the parts it named are done more often when the form grows.
    void a_letter_about_a_form_reaches_the_plan() {
        auto lib = *Library::open(path("forms-library"));
        const auto who = person(lib, "Ada");
        const auto film = path("form-film.mp4");
        QVERIFY(write_whole(film, "a film"));
        Clip c;
        c.person = who, c.movement = "form:follow_step_six", c.view = "front", c.filmed_on = c.arrived_on = "2026-11-20";
        const auto id = lib.clips().add(c, film);
        QVERIFY(id.has_value());
        LetterRecord l;
        l.clip = *id;
        l.checks = {FindingKey{"3", "flat_before_shift", std::nullopt, Direction::low}.text(),
                    FindingKey{"4", "trunk_lean", std::nullopt, Direction::high}.text(),
                    FindingKey{"4", "knee_in", std::nullopt, Direction::high}.text(),
                    FindingKey{"40", "trunk_lean", std::nullopt, Direction::high}.text()};
        l.sent_on = "2026-11-21";
        QVERIFY(lib.letters().save(l).has_value());
        // The first correction is of part 6 too; what was set aside and what is of something else is not asked for.
        for (const auto& [part, check, choice] : {std::tuple{"3", "flat_before_shift", Choice::kept},
                                                  {"6", "flat_before_shift", Choice::kept},
                                                  {"5", "flat_before_shift", Choice::set_aside},
                                                  {"2", "head", Choice::kept}})
            QVERIFY(lib.decisions().save(*id, Decision{FindingKey{part, check, std::nullopt, Direction::low}, choice}).has_value());
        const auto n = person_needs(lib, who, "2026-11-30", forms_);
        QVERIFY(n.has_value());
        QCOMPARE(n->asked.size(), 3U); // there is no fortieth part
        QCOMPARE(n->asked[0].movement, std::string("follow_step"));
        QCOMPARE(n->asked[1].movement, std::string("push_and_sit_back"));
        for (const char* m : {"form:follow_step_six", "follow_step", "push_and_sit_back", "opening_rise_and_sink"})
            QVERIFY2(std::find(n->practised.begin(), n->practised.end(), m) != n->practised.end(), m);
        const auto form = forms_.form("form:follow_step_six");
        const FormToGrow grow = grow_form(*form, n->weak, 6);
        QCOMPARE(grow.weak, (std::vector<int>{3, 6, 4}));
        Needs needs;
        needs.minutes = 30;
        know_person(needs, *n);
        needs.form = grow;
        const auto all = with_pieces(*forms_.movements, *form, false);
        const auto plan = propose(needs, all);
        QVERIFY(plan.has_value());
        std::vector<std::string> pieces;
        for (const auto& i : plan->items)
            if (PieceId::read(i.movement)) pieces.push_back(i.movement);
        QVERIFY2(pieces.size() >= 7, "the weak parts, their joins, the whole");
        QCOMPARE(pieces[0], std::string("form:follow_step_six/3-3"));
        QCOMPARE(pieces[1], std::string("form:follow_step_six/2~3"));
        QCOMPARE(pieces[6], std::string("form:follow_step_six/1-6"));
        for (const auto& out : plan->left_out) QVERIFY(out.code != LeftOut::Code::unknown);
    }
    void a_form_in_needs_is_read_strictly() {
        const auto& all = *forms_.movements;
        const auto n = parse_needs(R"({"form": {"id": "seated_set", "known": 3, "weak": [2], "mirrored": true, "recall": true}})", all,
                                   *forms_.linked);
        QVERIFY2(n, n ? "" : n.error().context.c_str());
        QVERIFY(n->form && n->form->known == 3 && n->form->mirrored && n->form->recall && n->form->weak == std::vector<int>{2});
        QVERIFY(!n->form->steps.empty());
        for (const char* bad : {R"({"form": "seated_set"})", R"({"form": {}})", R"({"form": {"id": "no_such"}})",
                                R"({"form": {"id": "seated_set", "known": 99}})", R"({"form": {"id": "seated_set", "weak": [0]}})",
                                R"({"form": {"id": "seated_set", "weak": [1.5]}})", R"({"form": {"id": "seated_set", "weak": 2}})",
                                R"({"form": {"id": "seated_set", "knwon": 2}})", R"({"form": {"id": "seated_set", "recall": 1}})"}) {
            const auto not_one = parse_needs(bad, all, *forms_.linked);
            QVERIFY2(!not_one && not_one.error().context.starts_with("form"), bad);
        }
    }

    void needs_are_read_strictly() {
        const auto& all = *forms_.movements;
        const auto n =
            parse_needs(R"({"minutes": 35, "limits": ["seated"], "care": ["knees"], "energy": 2, "dizzy": true, "wanted": ["walk_forward"],
            "versions": {"open_and_close": "Seated"}, "asked": [{"movement": "open_and_close", "rule": "S1", "a_side": 4}], "chair": false,
            "seed": 12, "steadier": "left", "balance_step": 3})",
                        all);
        QVERIFY2(n, n ? "" : n.error().context.c_str());
        QVERIFY(n->minutes == 35 && n->limits.contains("seated") && n->care.contains("knees") && n->energy == 2 && n->dizzy && !n->chair);
        QCOMPARE(n->asked.front().a_side, 4);
        QCOMPARE(n->seed, std::uint64_t{12});
        QVERIFY(parse_needs("{}", all));
        for (const auto& [text, says] :
             std::vector<std::pair<const char*, const char*>>{{"", "not an object"},
                                                              {"[]", "not an object"},
                                                              {R"({"minuets": 20})", "minuets"},
                                                              {R"({"minutes": 2000})", "minutes"},
                                                              {R"({"minutes": "20"})", "minutes"},
                                                              {R"({"limits": ["seatde"]})", "seatde"},
                                                              {R"({"limits": "seated"})", "limits"},
                                                              {R"({"care": [7]})", "care"},
                                                              {R"({"energy": 11})", "energy"},
                                                              {R"({"energy": 2.5})", "energy"},
                                                              {R"({"dizzy": 1})", "dizzy"},
                                                              {R"({"wanted": ["walk_sideways"]})", "walk_sideways"},
                                                              {R"({"sequence": ["<b>"]})", "<b>"},
                                                              {R"({"versions": {"open_and_close": "Flying"}})", "Flying"},
                                                              {R"({"versions": []})", "versions"},
                                                              {R"({"asked": [{"movement": "open_and_close", "rule": "Z9"}]})", "Z9"},
                                                              {R"({"asked": [{"movement": "open_and_close", "rulee": "S1"}]})", "rulee"},
                                                              {R"({"asked": [1]})", "asked"},
                                                              {R"({"steadier": "up"})", "steadier"},
                                                              {R"({"seed": -1})", "seed"}}) {
            const auto bad = parse_needs(text, all);
            QVERIFY2(!bad, text);
            QVERIFY2(bad.error().context.find(says) != std::string::npos, bad.error().context.c_str());
        }
        QVERIFY(!parse_needs(std::string(2U << 20U, ' '), all));
        QVERIFY(!parse_needs("{\"limits\": " + std::string(500, '[') + std::string(500, ']') + "}", all));
        // What the names say is what a plan knows.
        for (const auto& l : limit_names_of_needs()) {
            Needs one;
            one.limits = {l};
            QVERIFY2(propose(one, all), l.c_str());
        }
    }

    void forms_live_as_long_as_somebody_holds_them() {
        std::shared_ptr<const Movement> kept;
        {
            const Forms now = shipped_forms(test::data_dir());
            kept = now.movement("walk_forward", "Arms only");
            QVERIFY(kept);
            QVERIFY(!now.movement("none") && !now.school("none") && now.school("inclined"));
            QVERIFY(now.movement("free")); // by its id alone
        }
        QVERIFY(!kept->phases.empty() && !kept->checks.empty());
        // The instructor's own in place of a shipped one.
        auto lib = *Library::open(path("own"));
        auto j = nlohmann::json::parse(*forms_.movement("walk_forward")->source);
        j["name"] = "Walk as we do";
        QVERIFY(lib.forms().keep({"walk_forward", j.dump()}));
        const Forms own = forms_of(lib, forms_);
        QCOMPARE(own.movement("walk_forward")->name, std::string("Walk as we do"));
        QCOMPARE(own.movements->size(), forms_.movements->size());
        QVERIFY(forms_.movement("walk_forward")->name != "Walk as we do");
    }
};
QTEST_GUILESS_MAIN(TestDesk)
#include "test_desk.moc"
