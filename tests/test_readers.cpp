// Corrupt, truncated, empty and wrong files for every reader: a plain error, never a crash.
#include "core/review/points_csv.h"
#include "core/review/review.h"
#include "desk/found.h"
#include "media/clip.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include <cmath>
#include <csignal>
#include <fstream>
#include <QTemporaryDir>
#include <QTest>
#include <sqlite3.h>
#include <sys/wait.h>
#include <unistd.h>

using namespace bevel;

class TestReaders : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const std::string& name) const { return std::filesystem::path(dir_.path().toStdString()) / name; }
    static void put(const std::filesystem::path& p, const std::string& bytes) {
        std::ofstream(p, std::ios::binary).write(bytes.data(), static_cast<std::streamsize>(bytes.size()));
    }
    static std::string bytes_of(const std::filesystem::path& p) { return *read_text(p, 64U << 20U); }

    /// Thirty damaged forms of a good file: cut short, emptied, overwritten in places, turned, repeated.
    static std::vector<std::string> damaged(const std::string& good, std::uint64_t seed) {
        Rng rng(seed);
        std::vector<std::string> out{"",
                                     std::string(1, '\0'),
                                     "not this kind of file\n",
                                     std::string(4096, '\xff'),
                                     good + good,
                                     std::string(good.rbegin(), good.rend())};
        for (int i = 1; i <= 10; ++i) out.push_back(good.substr(0, good.size() * static_cast<std::size_t>(i) / 11));
        while (out.size() < 30) {
            std::string s = good;
            const auto hits = 1 + rng.next() % 40;
            for (std::uint32_t k = 0; k < hits; ++k) s[rng.next() % s.size()] = static_cast<char>(rng.next());
            out.push_back(std::move(s));
        }
        return out;
    }

    /// A short standing track of pixels.
    static Track track() {
        sim::TakeOptions o = sim::take_of(1, 1.7);
        o.phone.fps = 10;
        o.to_s = 2;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        Track t = take.track();
        for (auto& f : t.m) f.reset();
        return t;
    }
    /// A track as format 1 laid it down.
    static std::string first_format(const Track& t) {
        std::string out = "bevtrk01";
        auto add = [&](auto v) { out.append(reinterpret_cast<const char*>(&v), sizeof v); };
        add(static_cast<std::uint32_t>(t.frames()));
        add(static_cast<std::int32_t>(t.width));
        add(static_cast<std::int32_t>(t.height));
        add(static_cast<std::uint8_t>(0));
        add(static_cast<std::uint8_t>(0));
        for (int i = 0; i < 4; ++i) add(0.0);
        for (std::size_t i = 0; i < t.frames(); ++i) {
            add(t.time_s[i]);
            add(static_cast<std::uint8_t>(1));
            for (const auto& p : *t.px[i]) {
                add(static_cast<std::int16_t>(std::lround(p.x * 16)));
                add(static_cast<std::int16_t>(std::lround(p.y * 16)));
                add(static_cast<std::uint8_t>(255));
                add(static_cast<std::uint8_t>(8));
            }
        }
        return out;
    }

private slots:
    void clips() {
        const auto good = path("good.mp4");
        {
            auto w = ClipWriter::create(good, 160, 160, 25);
            sim::Image im;
            im.width = im.height = 160;
            im.rgb.assign(160 * 160 * 3, 90);
            for (int i = 0; i < 40; ++i) {
                im.rgb[static_cast<std::size_t>(i) * 300] = 255;
                QVERIFY(w->add(im, i / 25.0).has_value());
            }
            QVERIFY(w->finish().has_value());
        }
        int n = 0;
        for (const auto& bytes : damaged(bytes_of(good), 1)) {
            const auto file = path("bad" + std::to_string(n++) + ".mp4");
            put(file, bytes);
            auto r = ClipReader::open(file);
            if (!r) {
                QVERIFY(!r.error().context.empty());
                continue;
            }
            for (std::size_t i = 0; i < std::min<std::size_t>(r->info().time_s.size(), 60); i += 7) (void)r->frame(i);
        }
        QVERIFY(!ClipReader::open(path("missing.mp4")));
        QVERIFY(!ClipReader::open(dir_.path().toStdString()));
        put(path("list.m3u8"), "#EXTM3U\n#EXTINF:1,\n/etc/hostname\n");
        QVERIFY(!ClipReader::open(path("list.m3u8"))); // a list of other files is not a clip
    }
    void points() {
        sim::TakeOptions o = sim::take_of(1, 1.7);
        o.phone.fps = 10;
        o.to_s = 3;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const std::string good = truth_csv(take.track(), take.truth());
        const auto back = parse_points(good);
        QVERIFY(back.has_value());
        QCOMPARE(back->frames(), take.frames());
        QVERIFY(((*back->m[5])[left_knee] - (*take.track().m[5])[left_knee]).norm() < 2e-6);
        QVERIFY(std::abs((*back->px[5])[left_knee].x - (*take.track().px[5])[left_knee].x) < 1e-3);
        for (const auto& bytes : damaged(good, 2))
            if (auto r = parse_points(bytes)) (void)make_motion(*r, {});
        QVERIFY(!parse_points("time_s,nose_x_px\n0,1\n"));
        QVERIFY(!parse_points("time_s\n"));
        std::string backwards = good.substr(0, good.find('\n') + 1);
        const auto row = good.substr(backwards.size(), good.find('\n', backwards.size()) - backwards.size() + 1);
        QVERIFY(!parse_points(backwards + row + row)); // time must go on
    }
    void movements() {
        const std::string good = bytes_of(test::data_dir() / "movements/part_the_horses_mane.json");
        for (const auto& bytes : damaged(good, 3)) {
            const auto m = parse_movement(bytes);
            if (!m) QVERIFY(!m.error().context.empty());
        }
        QVERIFY(!parse_movement("[]"));
        QVERIFY(!parse_movement("{\"id\": 3}"));
        QVERIFY(!parse_movement(std::string(100000, '[')));
    }
    void schools_and_reviews() {
        const std::string school = bytes_of(test::data_dir() / "schools/inclined.json");
        int n = 0;
        for (const auto& bytes : damaged(school, 6)) {
            const auto file = path("school" + std::to_string(n++) + ".json");
            put(file, bytes);
            if (auto s = load_school(file); !s) QVERIFY(!s.error().context.empty());
        }
        sim::TakeOptions o = sim::take_of(1, 1.7);
        o.student.score.repetitions = 1;
        o.phone.fps = 15;
        const auto m = test::movement("gaze_at_the_moon");
        ReviewOptions ro;
        ro.view = View::three_d;
        const auto review = make_review(test::room_track(sim::Take(m, o)), m, ro);
        QVERIFY(review.has_value());
        for (const auto& bytes : damaged(review_json(**review, "x.mp4"), 7))
            if (auto r = parse_review_json(bytes); !r) QVERIFY(!r.error().context.empty());
    }
    void what_was_acknowledged_outlives_a_kill() {
        const auto folder = path("killed");
        {
            auto lib = Library::open(folder);
            QVERIFY(lib.has_value());
            QVERIFY(lib->people().add({0, "Greta", 1.61, "", 0}).has_value());
        }
        for (int round = 0; round < 3; ++round) {
            int fd[2];
            QCOMPARE(pipe(fd), 0);
            const pid_t child = fork();
            if (child == 0) {
                auto lib = Library::open(folder);
                for (int i = 0; lib; ++i) {
                    if (!lib->settings().set("n" + std::to_string(round) + "." + std::to_string(i), "kept")) break;
                    if (write(fd[1], &i, sizeof i) != sizeof i) break; // acknowledged
                }
                _exit(0);
            }
            close(fd[1]);
            int last = -1, i = 0;
            while (last < 20 + 13 * round && read(fd[0], &i, sizeof i) == sizeof i) last = i;
            kill(child, SIGKILL);
            waitpid(child, nullptr, 0);
            while (read(fd[0], &i, sizeof i) == sizeof i) last = i;
            close(fd[0]);
            QVERIFY(last >= 20);
            auto lib = Library::open(folder);
            QVERIFY(lib.has_value());
            for (int k = 0; k <= last; ++k)
                QCOMPARE(lib->settings().get("n" + std::to_string(round) + "." + std::to_string(k)), std::string("kept"));
            QCOMPARE(lib->people().all()->front().name, std::string("Greta"));
        }
    }
    void tracks() {
        sim::TakeOptions o = sim::take_of(1, 1.7);
        o.phone.fps = 10;
        o.to_s = 2;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        Track t = take.track();
        t.px[3].reset();
        const std::string good = pack_track(t);
        const auto back = unpack_track(good);
        QVERIFY(back.has_value());
        QVERIFY(!back->px[3]);
        QVERIFY(std::abs((*back->px[4])[right_toe].y - (*t.px[4])[right_toe].y) <= 1.0 / 16);
        QVERIFY(back->vertical && back->vertical->from_room);
        for (const auto& bytes : damaged(good, 4)) (void)unpack_track(bytes);
        for (const auto& bytes : damaged(first_format(track()), 5)) (void)unpack_track(bytes);
    }
    void tracks_keep_the_raw_points_and_every_layer() {
        Track t = track();
        t.model = "heavy";
        t.model_version = 7;
        t.width = 2160; // a portrait clip of 4K: feet beyond 2048 px stay where they are
        t.height = 3840;
        (*t.px[2])[left_toe] = {1234.5678, 3456.789, 0.25, 0, 0, 0, 0};
        t.focal_px = 1800;
        Layers& l = t.layers;
        l.mirrored = true;
        l.trim_from_s = 0.3;
        l.trim_to_s = 1.7;
        l.vertical = VerticalOnPicture{0.02, 1e-5, 0.003, 2e-6, true};
        l.scale = MarkedLength{10, 20, 10, 520, 1.5};
        l.camera_height_m = 0.9;
        l.edits = {{4, right_knee, 700.25, 1500.5}, {5, nose, 3, 4}};
        l.breaths = {{0.2, true}, {1.1, false}};
        ExtraPoints marks;
        marks[c7] = Vec3(700.5, 300.25, 0);
        marks[tool_front] = Vec3(1, 2, 3);
        l.extra = {{3, marks}};
        const auto back = unpack_track(pack_track(t));
        QVERIFY(back.has_value());
        QCOMPARE(back->layers.breaths.size(), std::size_t{2});
        QVERIFY(!back->layers.breaths[1].in);
        QCOMPARE(back->layers.extra.size(), std::size_t{1});
        QCOMPARE(back->layers.extra[0].second[c7]->x(), 700.5);
        QVERIFY(!back->layers.extra[0].second[tail]);
        QCOMPARE(back->model, t.model);
        QCOMPARE(back->model_version, 7);
        QCOMPARE(back->height, 3840);
        QVERIFY(std::abs((*back->px[2])[left_toe].y - 3456.789) < 1e-3);
        QCOMPARE(back->layers.mirrored, true);
        QCOMPARE(back->layers.trim_from_s, l.trim_from_s);
        QCOMPARE(back->layers.trim_to_s, l.trim_to_s);
        QCOMPARE(back->layers.vertical->slope, l.vertical->slope);
        QCOMPARE(back->layers.scale->metres, 1.5);
        QCOMPARE(back->layers.camera_height_m, l.camera_height_m);
        QCOMPARE(back->layers.edits.size(), std::size_t{2});
        QCOMPARE(back->layers.edits[0].point, right_knee);
        QCOMPARE(back->layers.edits[0].y, 1500.5);
        QCOMPARE(back->focal_px, t.focal_px);
    }
    void points_files_may_hold_marked_points_and_breaths() {
        const std::string text = points_csv(track());
        std::string out;
        int row = 0;
        for (std::size_t at = 0; at < text.size(); ++row) {
            const auto end = text.find('\n', at);
            out += text.substr(at, end - at) +
                   (row == 0   ? ",c7_x_px,c7_y_px,breath"
                    : row == 2 ? ",410.5,200,in"
                    : row == 4 ? ",,,out"
                               : ",,,") +
                   "\n";
            at = end + 1;
        }
        const auto back = parse_points(out);
        QVERIFY(back.has_value());
        QCOMPARE(back->layers.extra.size(), std::size_t{1});
        QCOMPARE(back->layers.extra[0].first, 1U);
        QCOMPARE(back->layers.extra[0].second[c7]->x(), 410.5);
        QCOMPARE(back->layers.breaths.size(), std::size_t{2});
        QVERIFY(back->layers.breaths[0].in && !back->layers.breaths[1].in);
        out.replace(out.find(",410.5,200,in"), 13, ",410.5,200,up");
        const auto bad = parse_points(out);
        QVERIFY(!bad && bad.error().context.find("breath") != std::string::npos);
    }
    void points_files_keep_stated_errors() {
        Track t = track();
        for (auto& f : t.px)
            for (auto& p : *f) p.sigma = 2.5;
        Body3 body;
        body.fill(Vec3(1, 2, 3));
        t.m.assign(t.frames(), body);
        std::array<double, point_count> s{};
        s.fill(0.012);
        t.m_sigma.assign(t.frames(), s);
        const auto back = parse_points(points_csv(t));
        QVERIFY(back.has_value());
        QCOMPARE((*back->px[3])[left_knee].sigma, 2.5);
        QCOMPARE(back->m_sigma[3][right_wrist], 0.012);
    }
    void libraries() {
        const auto folder = path("lib");
        {
            auto lib = Library::open(folder);
            QVERIFY(lib.has_value());
            QVERIFY(lib->people().add({0, "Ilse", 1.66, "", 0}).has_value());
            QVERIFY(lib->backups().compact().has_value());
        }
        const std::string good = bytes_of(folder / "library.sqlite");
        int n = 0;
        for (const auto& bytes : damaged(good, 5)) {
            const auto bad = path("lib" + std::to_string(n++));
            std::filesystem::create_directories(bad);
            put(bad / "library.sqlite", bytes);
            auto lib = Library::open(bad);
            if (!lib) continue;
            (void)lib->people().all();
            (void)lib->clips().all();
        }
    }
    void the_end_of_taking_in_a_clip_is_recorded() {
        const auto folder = path("intake");
        auto lib = Library::open(folder);
        QVERIFY(lib.has_value());
        put(path("y.mp4"), "clip");
        Clip c;
        c.person = *lib->people().add({0, "Noor", 1.7, "", 0});
        c.movement = "gaze_at_the_moon";
        c.id = *lib->clips().add(c, path("y.mp4"));
        c = *lib->clips().get(c.id);
        QVERIFY(!c.quality);
        // Stopped: nothing found, and said so.
        auto kept = keep_found(*lib, c, {nullptr, nullptr, {Code::cancelled, ""}, {}});
        QVERIFY(kept.has_value());
        QCOMPARE(lib->clips().get(c.id)->state, ClipState::failed);
        QCOMPARE(lib->clips().get(c.id)->problem, std::string("cancelled"));
        QVERIFY(!lib->tracks().load(c.id));
        // Found but not like the movement: points and quality stay.
        sim::TakeOptions o = sim::take_of(1, 1.7);
        o.student.score.repetitions = 1;
        o.phone.fps = 20;
        const auto m = test::movement("gaze_at_the_moon");
        Track t = test::pixel_track(sim::Take(m, o), 1, 1);
        for (std::size_t i = 0; i < t.frames(); i += 4) t.px[i].reset();
        kept = keep_found(*lib, c, {&t, nullptr, {Code::cannot_judge, "no_repetition"}, {}});
        QVERIFY(kept.has_value());
        QCOMPARE(lib->clips().get(c.id)->problem, std::string("no_repetition"));
        QVERIFY(std::abs(lib->clips().get(c.id)->quality->found - 0.75) < 0.01);
        QVERIFY(!lib->clips().get(c.id)->quality->neutral_seen);
        QCOMPARE(lib->tracks().load(c.id)->frames(), t.frames());
        // Reviewed: the view it was told to have, and the student's own shoulder width.
        t = test::pixel_track(sim::Take(m, o), 1, 1);
        ReviewOptions ro;
        ro.stature_m = 1.7;
        const auto review = make_review(t, m, ro);
        QVERIFY(review.has_value());
        kept = keep_found(*lib, c, {&t, review->get(), {}, {}});
        QVERIFY(kept.has_value());
        const auto now = *lib->clips().get(c.id);
        QCOMPARE(now.state, ClipState::tracked);
        QCOMPARE(now.view, std::string("front"));
        QVERIFY(now.problem.empty() && now.quality->neutral_seen && now.quality->found == 1);
        QVERIFY(std::abs(lib->people().all()->front().shoulder_width_m - (*review)->motion.neutral.shoulder_width) < 1e-12);
    }
    void a_library_keeps_what_was_written_and_upgrades_older_ones() {
        const auto folder = path("kept");
        std::int64_t person = 0, clip = 0;
        put(path("x.mp4"), "clip");
        {
            auto lib = Library::open(folder);
            person = *lib->people().add({0, "Wen", 1.58, "stiff shoulders", 0});
            Clip c;
            c.person = person;
            c.movement = "gaze_at_the_moon";
            clip = *lib->clips().add(c, path("x.mp4"));
            QVERIFY(*lib->clips().add(c, path("x.mp4")) != clip); // never over another
            QVERIFY(lib->decisions().save(clip, {"knee_in", "left", Choice::kept, "Look where the toes look.", ""}).has_value());
            LetterRecord l;
            l.clip = clip;
            l.checks = {"knee_in/left"};
            QVERIFY(lib->letters().save(l).has_value());
            QVERIFY(lib->settings().set("place", "Lantern Quay").has_value());
        }
        auto lib = Library::open(folder);
        QCOMPARE(lib->people().all()->front().name, std::string("Wen"));
        QCOMPARE(lib->clips().all()->size(), std::size_t{2});
        QCOMPARE(lib->decisions().of(clip)->front().wording, std::string("Look where the toes look."));
        QCOMPARE(lib->letters().of(clip)->front().checks.front(), std::string("knee_in/left"));
        QCOMPARE(lib->settings().get("place"), std::string("Lantern Quay"));
        QVERIFY(!lib->people().add({0, "", 1.7, ""}));
        QVERIFY(!lib->people().add({0, "Giant", 9, ""}));
        // A library of the first version opens and gains what came later; a newer one is left alone.
        const auto old = path("old");
        std::filesystem::create_directories(old);
        sqlite3* db = nullptr;
        QCOMPARE(sqlite3_open((old / "library.sqlite").string().c_str(), &db), SQLITE_OK);
        sqlite3_exec(
            db,
            "CREATE TABLE person(id INTEGER PRIMARY KEY, name TEXT NOT NULL, stature_m REAL NOT NULL, notes TEXT NOT NULL DEFAULT '');"
            "CREATE TABLE clip(id INTEGER PRIMARY KEY, person INTEGER, file TEXT, movement TEXT, school TEXT, view TEXT, filmed_on TEXT, "
            "arrived_on TEXT, state INTEGER, problem TEXT);"
            "CREATE TABLE track(clip INTEGER PRIMARY KEY, points BLOB NOT NULL);"
            "CREATE TABLE decision(clip INTEGER, check_id TEXT, side TEXT, choice INTEGER, wording TEXT NOT NULL DEFAULT '', PRIMARY "
            "KEY(clip, check_id, side));"
            "CREATE TABLE letter(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL UNIQUE, body TEXT NOT NULL, sent_on TEXT NOT NULL DEFAULT "
            "'');"
            "INSERT INTO person(name, stature_m) VALUES('Greta', 1.61); INSERT INTO clip(id, person, file, state) VALUES(1, 1, 'a.mp4', "
            "1); INSERT INTO decision VALUES(1, 'head', '', 1, ''); PRAGMA "
            "user_version=1",
            nullptr, nullptr, nullptr);
        // A track as the first version kept it: points to 1/16 px, corrected.
        Track wide = track();
        for (auto& f : wide.px)
            for (auto& p : *f) p.x = std::min(p.x, 2000.0);
        const std::string first = first_format(wide);
        sqlite3_stmt* put_track = nullptr;
        sqlite3_prepare_v2(db, "INSERT INTO track VALUES(1, ?)", -1, &put_track, nullptr);
        sqlite3_bind_blob(put_track, 1, first.data(), static_cast<int>(first.size()), SQLITE_TRANSIENT);
        QCOMPARE(sqlite3_step(put_track), SQLITE_DONE);
        sqlite3_finalize(put_track);
        sqlite3_close(db);
        {
            auto upgraded = Library::open(old);
            QVERIFY2(upgraded.has_value(), upgraded ? "" : upgraded.error().context.c_str());
            QVERIFY(std::filesystem::exists(old / "library-version-1.sqlite")); // what it was, beside it
            const auto renewed = upgraded->tracks().load(1);
            QVERIFY(renewed.has_value());
            QCOMPARE(renewed->model, std::string("full")); // corrections are taken back, so that newer ones apply
            QCOMPARE(renewed->frames(), wide.frames());
            const auto& knee = (*renewed->px[5])[left_knee];
            QVERIFY(std::hypot(knee.x - (*wide.px[5])[left_knee].x, knee.y - (*wide.px[5])[left_knee].y) < 30);
            QVERIFY(!upgraded->clips().get(1)->mirrored);
            QCOMPARE(upgraded->people().all()->front().name, std::string("Greta"));
            QCOMPARE(upgraded->decisions().of(1)->size(), std::size_t{1});
        }
        sqlite3_open((old / "library.sqlite").string().c_str(), &db);
        sqlite3_exec(db, "PRAGMA user_version=99", nullptr, nullptr, nullptr);
        sqlite3_close(db);
        const auto newer = Library::open(old);
        QVERIFY(newer.has_value() && newer->read_only());
    }
    void time_stamps_that_leap_or_stand_are_refused_with_a_reason_data() {
        QTest::addColumn<double>("at");
        QTest::addColumn<double>("stamp");
        QTest::addColumn<QString>("reason");
        QTest::newRow("the last one is years away") << 1.0 << 1.1e8 << "too_long";
        QTest::newRow("half a day away") << 0.5 << 43200.0 << "too_long";
        QTest::newRow("goes back") << 0.5 << 0.0 << "times";
        QTest::newRow("is no number") << 0.5 << std::nan("") << "times";
        QTest::newRow("endless") << 1.0 << HUGE_VAL << "too_long";
    }
    void time_stamps_that_leap_or_stand_are_refused_with_a_reason() {
        QFETCH(double, at);
        QFETCH(double, stamp);
        QFETCH(QString, reason);
        auto o = sim::take_of(5, 1.7);
        o.student.score.repetitions = 1;
        Track t = test::room_track(sim::Take(test::movement("separate_the_clouds"), o));
        const auto from = std::min(t.frames() - 1, static_cast<std::size_t>(at * static_cast<double>(t.frames())));
        const double shift = stamp - t.time_s[from];
        t.time_s[from] = stamp;
        if (stamp > t.time_s[from - 1])
            for (std::size_t k = from + 1; k < t.frames(); ++k) t.time_s[k] += shift;
        MotionOptions mo;
        mo.view = View::three_d;
        const auto motion = make_motion(t, mo);
        QVERIFY(!motion);
        QCOMPARE(motion.error().code, Code::cannot_judge);
        QCOMPARE(QString::fromStdString(motion.error().context), reason);
        // The same as a file is refused at its row, or later with the same reason; memory is never filled.
        const auto read = parse_points(points_csv(t));
        if (read) QVERIFY(!make_motion(*read, mo));
    }
};
QTEST_GUILESS_MAIN(TestReaders)
#include "test_readers.moc"
