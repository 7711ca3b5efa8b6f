// One film sent twice, and several people in one film: told from the body's way over the picture.
#include "core/review/in_turn.h"
#include "core/review/same_take.h"
#include "desk/intake.h"
#include "desk/library_forms.h"
#include "support/synthetic.h"
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

class TestTakes : public QObject {
    Q_OBJECT
    static Track filmed(const std::string& movement, std::uint64_t person, std::uint64_t noise, int repetitions = 2) {
        sim::TakeOptions o = sim::take_of(person, 1.68);
        o.phone.view = View::front;
        o.student.score.repetitions = repetitions;
        return test::pixel_track(sim::Take(test::movement(movement), o), 1.2, noise);
    }
    /// As a messenger sends it on: smaller, every other frame, a frame less at the beginning.
    static Track sent_on(const Track& t, double scale, std::size_t every, std::size_t later) {
        Track out = t;
        out.time_s.clear(), out.px.clear(), out.m.clear();
        out.width = static_cast<int>(t.width * scale), out.height = static_cast<int>(t.height * scale);
        for (std::size_t i = later; i < t.frames(); i += every) {
            out.time_s.push_back(t.time_s[i] - t.time_s[later]);
            out.px.push_back(t.px[i]);
            out.m.emplace_back();
            if (out.px.back())
                for (auto& p : *out.px.back()) p.x *= scale, p.y *= scale;
        }
        return out;
    }
    /// One after the other, with nobody for `pause` seconds between; each `shift` pixels farther to the right.
    static Track in_a_row(const std::vector<Track>& all, double pause, double shift) {
        Track out = all.front();
        for (std::size_t k = 1; k < all.size(); ++k) {
            double from = out.time_s.back();
            for (double t = 1.0 / 30; t < pause; t += 1.0 / 30) out.time_s.push_back(from + t), out.px.emplace_back(), out.m.emplace_back();
            from = out.time_s.back() + 1.0 / 30 - all[k].time_s.front();
            for (std::size_t i = 0; i < all[k].frames(); ++i) {
                out.time_s.push_back(from + all[k].time_s[i]);
                out.px.push_back(all[k].px[i]);
                out.m.emplace_back();
                if (out.px.back())
                    for (auto& p : *out.px.back()) p.x += shift * static_cast<double>(k);
            }
        }
        return out;
    }

    static Track moved(Track t, double px) {
        for (auto& b : t.px)
            if (b)
                for (auto& p : *b) p.x += px;
        return t;
    }

private slots:
    void the_same_film_is_known_whatever_was_done_to_it() {
        for (const char* m : {"gaze_at_the_moon", "part_the_horses_mane", "quiet_stand", "walk_forward"}) {
            const Track a = filmed(m, 11, 1);
            QVERIFY2(same_take(a, a), m);
            const Track again = filmed(m, 11, 2); // the network finds the same points a little elsewhere
            QVERIFY2(same_take(a, again) && same_take(again, a), m);
            for (const double scale : {1.0, 0.5, 0.333})
                for (const std::size_t every : {1, 2})
                    QVERIFY2(same_take(a, sent_on(again, scale, every, 1)) && same_take(sent_on(again, scale, every, 1), a), m);
        }
    }
    void two_takes_are_two() {
        for (const char* m : {"gaze_at_the_moon", "part_the_horses_mane", "quiet_stand", "embrace_the_post"})
            for (std::uint64_t person = 20; person < 26; ++person) {
                const Track a = filmed(m, person, 1);
                // Nobody stands where another stood to the inch.
                QVERIFY2(!same_take(a, moved(filmed(m, person + 1, 1), 0.03 * a.height)), m);
                QVERIFY2(!same_take(a, moved(filmed(m, person, 1), -0.03 * a.height)), m);
                // The same take ends early: another film.
                Track shorter = a;
                while (shorter.time_s.back() > a.time_s.back() - 1) shorter.time_s.pop_back(), shorter.px.pop_back(), shorter.m.pop_back();
                QVERIFY2(!same_take(a, shorter), m);
                Track upright = a; // another format
                std::swap(upright.width, upright.height);
                QVERIFY2(!same_take(a, upright), m);
            }
        QVERIFY(!same_take(Track{}, Track{}));
        Track empty = filmed("quiet_stand", 3, 1);
        for (auto& b : empty.px) b.reset(); // nobody was found
        QVERIFY(!same_take(empty, empty));
    }
    void clips_of_the_demo_are_no_copies_of_each_other() {
        const auto lib = Library::open(std::string(BEVEL_SOURCE_DIR) + "/data/demo", true);
        QVERIFY(lib.has_value());
        const auto clips = *lib->clips().all();
        std::vector<Track> tracks;
        std::vector<std::int64_t> ids;
        for (const auto& c : clips)
            if (auto t = lib->tracks().load(c.id); t && lib->clips().has_file(c)) { // filmed, not told
                tracks.push_back(std::move(*t));
                ids.push_back(c.id);
            }
        QVERIFY(tracks.size() > 6);
        // Nor is anybody in them two people.
        for (std::size_t i = 0; i < tracks.size(); ++i) {
            const auto turns = people_in_turn(tracks[i]);
            for (const auto& t : turns) qInfo("%lld: %.2f %.2f", static_cast<long long>(ids[i]), t.from_s, t.to_s);
            QCOMPARE(turns.size(), std::size_t{1});
        }
        for (std::size_t i = 0; i < tracks.size(); ++i)
            for (std::size_t k = 0; k < tracks.size(); ++k)
                QVERIFY2(same_take(tracks[i], tracks[k]) == (i == k), qPrintable(QStringLiteral("%1 %2").arg(ids[i]).arg(ids[k])));
    }

    void who_comes_one_after_the_other_is_cut_apart() {
        std::vector<Track> all;
        for (std::uint64_t p = 1; p <= 14; ++p) all.push_back(filmed("open_and_close", p, p, 1));
        const Track row = in_a_row(all, 2, 0);
        const auto turns = people_in_turn(row);
        QCOMPARE(turns.size(), std::size_t{14});
        double from = 0;
        for (std::size_t i = 0; i < turns.size(); ++i) {
            const double length = all[i].time_s.back() - all[i].time_s.front();
            QVERIFY(std::abs(turns[i].to_s - turns[i].from_s - length) < 0.05);
            QVERIFY(turns[i].from_s >= from);
            from = turns[i].to_s;
        }
        // Nobody in between: the next stands beside, and the body jumps.
        const auto jumps = people_in_turn(in_a_row({all[0], all[1], all[2]}, 0, 400));
        QCOMPARE(jumps.size(), std::size_t{3});
    }
    void one_person_who_moves_is_one() {
        for (const char* m : {"gaze_at_the_moon", "creep_low", "walk_forward", "heel_kick", "bend_and_swing", "squat_and_scoop"})
            QCOMPARE(people_in_turn(filmed(m, 5, 3)).size(), std::size_t{1});
        // Lost for half a second, the body is the same one; somebody who crosses for three seconds is nobody's turn.
        Track lost = filmed("gaze_at_the_moon", 5, 3);
        for (std::size_t i = 100; i < 112; ++i) lost.px[i].reset();
        QCOMPARE(people_in_turn(lost).size(), std::size_t{1});
        Track crossing = filmed("quiet_stand", 6, 4, 1);
        while (crossing.time_s.back() > 3) crossing.time_s.pop_back(), crossing.px.pop_back(), crossing.m.pop_back();
        QCOMPARE(people_in_turn(in_a_row({filmed("open_and_close", 5, 3, 1), crossing}, 2, 0)).size(), std::size_t{1});
        QVERIFY(people_in_turn(Track{}).empty());
    }

    void people_are_named_by_lines() {
        std::vector<Person> people(5);
        const std::array names{"Noor Haddad", "Ilse Brandvik", "Ilse Moor", "Bo", "Jörg  Ähren"};
        for (std::size_t i = 0; i < people.size(); ++i) people[i].id = static_cast<std::int64_t>(i + 1), people[i].name = names[i];
        QCOMPARE(people_named(people, "noor\n\n  Ilse   Moor \r\nIlse\nbo\nNobody\nJörg Ähren"),
                 (std::vector<std::int64_t>{1, 3, 0, 4, 0, 5}));
        QCOMPARE(people_named(people, ""), std::vector<std::int64_t>{});
        QCOMPARE(people_named({}, "Noor"), std::vector<std::int64_t>{0});
        people.push_back(people[3]);
        people.back().id = 6;
        QCOMPARE(people_named(people, "Bo"), std::vector<std::int64_t>{0}); // two of that name
    }
    void parts_become_clips_of_those_who_are_in_them() {
        QTemporaryDir dir;
        auto lib = Library::open(dir.filePath(QStringLiteral("l")).toStdString());
        QVERIFY(lib.has_value());
        Forms forms = shipped_forms(std::string(BEVEL_SOURCE_DIR) + "/data");
        std::vector<std::int64_t> ids;
        for (const char* name : {"Ada", "Bo"}) {
            Person p;
            p.name = name;
            ids.push_back(*lib->people().add(p));
        }
        const QString film = dir.filePath(QStringLiteral("hall.mp4"));
        QFile f(film);
        QVERIFY(f.open(QIODevice::WriteOnly) && f.write("a film of a hall") > 0);
        f.close();
        const auto clip = lib->clips().add(Clip{}, film.toStdString());
        QVERIFY(clip.has_value());
        const Track row =
            in_a_row({filmed("gaze_at_the_moon", 1, 1), filmed("separate_the_clouds", 2, 2), filmed("gaze_at_the_moon", 3, 3)}, 2, 0);
        QVERIFY(lib->tracks().save(*clip, row).has_value());
        const auto turns = people_in_turn(row);
        QCOMPARE(turns.size(), std::size_t{3});
        std::vector<CutPart> parts;
        for (const auto& t : turns) parts.push_back({t.from_s, t.to_s, {}, 0});
        parts[0].person = ids[1], parts[0].movement = "gaze_at_the_moon";
        parts[1].person = ids[0];
        const auto cut = cut_into(*lib, forms, *clip, parts);
        QVERIFY(cut && cut->size() == 3);
        const auto a = *lib->clips().get((*cut)[0]), b = *lib->clips().get((*cut)[1]), c = *lib->clips().get((*cut)[2]);
        QVERIFY(a.person == ids[1] && a.movement == "gaze_at_the_moon" && a.state == ClipState::tracked); // said: judged
        QVERIFY(b.person == ids[0] && b.state == ClipState::asked);                                       // its movement is asked
        const auto guess = parse_guess(b.guess);
        QVERIFY(guess.people.size() == 1 && guess.people.front().person == ids[0]);
        QVERIFY(!guess.movements.empty());
        QCOMPARE(guess.movements.front().movement, std::string("separate_the_clouds"));
        QVERIFY(c.person == 0 && c.state == ClipState::asked);
        QCOMPARE(guess.same_take, std::int64_t{0}); // parts of one film are no copies
    }
    void a_film_that_was_there_is_said_to_be() {
        QTemporaryDir dir;
        auto lib = Library::open(dir.filePath(QStringLiteral("l")).toStdString());
        QVERIFY(lib.has_value());
        std::vector<std::int64_t> ids;
        const std::vector<Track> tracks{filmed("gaze_at_the_moon", 1, 1), moved(filmed("gaze_at_the_moon", 2, 2), 60),
                                        filmed("gaze_at_the_moon", 1, 9)};
        for (std::size_t i = 0; i < tracks.size(); ++i) {
            const QString film = dir.filePath(QStringLiteral("%1.mp4").arg(i));
            QFile f(film);
            QVERIFY(f.open(QIODevice::WriteOnly) && f.write(QByteArray("film ") + QByteArray::number(static_cast<int>(i))) > 0);
            f.close();
            ids.push_back(*lib->clips().add(Clip{}, film.toStdString()));
            QVERIFY(lib->tracks().save(ids.back(), tracks[i]).has_value());
        }
        QCOMPARE(sent_before(*lib, *lib->clips().get(ids[2]), tracks[2]), ids[0]);
        QCOMPARE(sent_before(*lib, *lib->clips().get(ids[1]), tracks[1]), std::int64_t{0});
        ClipGuess g;
        g.same_take = 77;
        QCOMPARE(parse_guess(guess_json(g)).same_take, std::int64_t{77});
    }
};

QTEST_GUILESS_MAIN(TestTakes)
#include "test_takes.moc"
