// The library: what is kept stays whole, and is what was meant.
#include "core/files.h"
#include "core/review/points_csv.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include <cerrno>
#include <csignal>
#include <cstring>
#include <map>
#include <QTemporaryDir>
#include <QTest>
#include <set>
#include <sqlite3.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

using namespace bevel;

class TestStore : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }
    static void put(const std::filesystem::path& file, const std::string& bytes) {
        QFile f(QString::fromStdString(file.string()));
        if (f.open(QIODevice::WriteOnly)) f.write(bytes.data(), static_cast<qint64>(bytes.size()));
    }
    /// A library with one person and one clip of the given day.
    struct One {
        Library library;
        std::int64_t person = 0, clip = 0;
    };
    One one(const std::string& name, const std::string& day = "2026-05-10") const {
        put(path(name + ".mp4"), "clip " + name);
        One o{*Library::open(path(name)), 0, 0};
        o.person = *o.library.people().add({0, "Noor", 1.7, "", 0});
        Clip c;
        c.person = o.person;
        c.movement = "gaze_at_the_moon";
        c.filmed_on = day;
        c.arrived_on = "2026-05-12";
        o.clip = *o.library.clips().add(c, path(name + ".mp4"));
        return o;
    }

    std::string bytes_of(const std::filesystem::path& file) const {
        QFile f(QString::fromStdString(file.string()));
        return f.open(QIODevice::ReadOnly) ? f.readAll().toStdString() : std::string();
    }

    /// A disk that notes what is done to it and fails when told to.
    struct Watched : Disk {
        QStringList done;
        QString fails; // this call fails with ENOSPC
        int call(const QString& what, int result) {
            done << what;
            if (what != fails) return result;
            errno = ENOSPC;
            return -1;
        }
        int open(const char* p, int flags, unsigned mode) override {
            return call(QStringLiteral("open"), 0) < 0 ? -1 : Disk::open(p, flags, mode);
        }
        long write(int fd, const void* b, std::size_t n) override {
            return call(QStringLiteral("write"), 0) < 0 ? -1 : Disk::write(fd, b, n);
        }
        int sync(int fd) override { return call(QStringLiteral("sync"), 0) < 0 ? -1 : Disk::sync(fd); }
        int close(int fd) override { return Disk::close(fd); }
        int rename(const char* a, const char* b) override { return call(QStringLiteral("rename"), 0) < 0 ? -1 : Disk::rename(a, b); }
    };

    /// What a child does until it is killed: each thing that is done is told through the pipe, and only then.
    [[noreturn]] static void work_until_killed(const std::filesystem::path& folder, const std::filesystem::path& clip, int tell) {
        auto lib = Library::open(folder);
        if (!lib) _exit(3);
        auto say = [&](char what, std::int64_t id) {
            std::array<char, 9> m{what};
            std::memcpy(m.data() + 1, &id, 8);
            if (::write(tell, m.data(), m.size()) != 9) _exit(4);
        };
        Track t;
        t.width = t.height = 100;
        for (int i = 0; i < 20; ++i) t.time_s.push_back(i * 0.04), t.px.emplace_back(), t.m.emplace_back();
        while (true) {
            Clip c;
            c.person = 1;
            c.movement = "gaze_at_the_moon";
            const auto id = lib->clips().add(c, clip);
            if (!id) _exit(5);
            say('c', *id);
            if (!lib->tracks().save_unfinished(*id, t, 7)) _exit(5);
            say('u', *id);
            if (!lib->decisions().decide(*id, {"head", "", Choice::kept, "Look far.", ""})) _exit(5);
            say('d', *id);
            SentLetter l;
            l.person = 1, l.clip = *id, l.sent_at = "2026-05-01T10:00:00", l.kind = "pdf", l.body = "{}", l.file = "%PDF the letter";
            const auto sent = lib->letters().keep_sent(l);
            if (!sent) _exit(5);
            say('s', *sent);
        }
    }

private slots:
    void a_pair_is_kept_once_for_both() {
        One o = one("pair");
        put(path("side.mp4"), "from the side");
        Clip c = *o.library.clips().get(o.clip);
        c.id = 0;
        const auto other = *o.library.clips().add(c, path("side.mp4"));
        QVERIFY(o.library.clips().set_state(o.clip, ClipState::tracked, "").has_value() &&
                o.library.clips().set_state(other, ClipState::tracked, "").has_value());
        QVERIFY(o.library.decisions().save(other, {"head", "", Choice::kept, "own words", ""}).has_value());
        QVERIFY(o.library.clips().pair(other, o.clip).has_value());
        QCOMPARE(o.library.clips().get(o.clip)->pair, other);
        QCOMPARE(o.library.clips().get(other)->pair, o.clip);
        // What was decided before is in the one record; whichever is opened, it is the same.
        for (const auto id : {o.clip, other}) {
            const auto d = o.library.decisions().of(id);
            QVERIFY(d && d->size() == 1 && d->front().wording == "own words");
        }
        QVERIFY(o.library.decisions().decide(other, {"stance", "", Choice::kept, "", ""}).has_value());
        QCOMPARE(o.library.decisions().of(o.clip)->size(), std::size_t{2});
        QVERIFY(o.library.clips().get(o.clip)->state == ClipState::reviewed && o.library.clips().get(other)->state == ClipState::reviewed);
        LetterRecord l;
        l.clip = other;
        l.opening = "Dear";
        QVERIFY(o.library.letters().save(l).has_value());
        QCOMPARE(o.library.letters().of(o.clip)->size(), std::size_t{1});
        // Another movement, and it is no pair any more.
        Clip changed = *o.library.clips().get(other);
        changed.movement = "separate_the_clouds";
        QVERIFY(o.library.clips().set_facts(changed).has_value());
        QCOMPARE(o.library.clips().get(o.clip)->pair, qint64{0});
        QVERIFY(!o.library.clips().pair(o.clip, other));
        QVERIFY(!o.library.clips().pair(o.clip, o.clip));
        changed.movement = "gaze_at_the_moon";
        QVERIFY(o.library.clips().set_facts(changed).has_value() && o.library.clips().pair(o.clip, other).has_value());
        QVERIFY(o.library.clips().remove(other).has_value());
        QCOMPARE(o.library.clips().get(o.clip)->pair, qint64{0});
    }
    void a_clip_is_cut_into_parts_that_share_its_file() {
        One o = one("parts");
        Track t;
        t.width = 640;
        t.height = 360;
        for (int i = 0; i < 600; ++i) {
            t.time_s.push_back(i / 20.0);
            t.px.emplace_back(BodyPx{});
            t.m.emplace_back();
        }
        t.layers.camera_height_m = 1.1;
        QVERIFY(o.library.tracks().save(o.clip, t).has_value());
        for (const auto& wrong : {std::vector<ClipPart>{}, {{0, 0.5}}, {{0, 10}, {9, 20}}, {{5, 3}}}) {
            const auto cut = o.library.clips().cut(o.clip, wrong);
            QVERIFY(!cut && cut.error().context == "parts");
        }
        const auto ids = o.library.clips().cut(o.clip, {{1, 10}, {12, 20}, {20, 29}});
        QVERIFY(ids && ids->size() == 3 && ids->front() == o.clip);
        const auto parts = o.library.clips().parts_of((*ids)[2]);
        QVERIFY(parts && parts->size() == 3);
        for (std::size_t i = 0; i < 3; ++i) {
            QCOMPARE((*parts)[i].id, (*ids)[i]);
            QCOMPARE((*parts)[i].file, (*parts)[0].file);
            QCOMPARE((*parts)[i].person, o.person);
            const auto track = o.library.tracks().load((*ids)[i]);
            QVERIFY(track && *track->layers.trim_from_s == *(*parts)[i].part_from_s && *track->layers.trim_to_s == *(*parts)[i].part_to_s);
            QCOMPARE(*track->layers.camera_height_m, 1.1);
        }
        // The file goes with the last of them.
        const auto file = o.library.clips().path_of((*parts)[0]);
        QVERIFY(o.library.clips().remove((*ids)[0]).has_value() && o.library.clips().remove((*ids)[1]).has_value());
        QVERIFY(std::filesystem::exists(file));
        QCOMPARE(bytes_of(file), std::string("clip parts"));
        // Somebody else's part keeps it when a person is erased, and it is said whose.
        const auto second = *o.library.people().add({0, "Wen", 1.6, "", 0});
        const auto more = o.library.clips().cut((*ids)[2], {{20, 24}, {25, 29}});
        QVERIFY(more.has_value());
        Clip hers = *o.library.clips().get((*more)[1]);
        hers.person = second;
        QVERIFY(o.library.clips().set_facts(hers).has_value());
        const auto gone = o.library.people().erase(o.person);
        QVERIFY(gone && gone->shared_with == std::vector<std::string>{"Wen"});
        QCOMPARE(bytes_of(file), std::string("clip parts"));
        QVERIFY(o.library.people().erase(second).has_value());
        QVERIFY(!std::filesystem::exists(file));
    }
    void marks_facts_and_places_are_kept_and_broken_ones_refused() {
        One o = one("marks");
        Clip c = *o.library.clips().get(o.clip);
        c.footwear = "socks";
        c.surface = "smooth";
        c.states = {{true, 0, 1e9}, {false, 2.5, 7}};
        QVERIFY(o.library.clips().set_states(o.clip, c.states).has_value());
        c.states.clear(); // facts that were read before never write the support back
        QVERIFY(o.library.clips().set_facts(c).has_value());
        QVERIFY(o.library.clips().set_meant(o.clip, MeantPerson{1.5, 320, 200}).has_value());
        const Clip now = *o.library.clips().get(o.clip);
        QVERIFY(now.footwear == "socks" && now.surface == "smooth" && now.states.size() == 2 && now.states[0].seat &&
                now.states[1].to_s == 7);
        QVERIFY(now.meant && now.meant->x == 320);
        QVERIFY(o.library.clips().set_meant(o.clip, std::nullopt).has_value() && !o.library.clips().get(o.clip)->meant);
        CameraPlace p;
        p.name = "by the window";
        p.width = 1280;
        p.height = 720;
        p.marks.plan = CameraPlan{1000, 0.1, -0.02, 1.2, {0.1, 0.01, 0.02, 0.003, 0, 0.01, 0.02, 0, 0, 0.03}};
        p.marks.lens = LensBend{-0.03, 0.004};
        p.look = std::string("\0a\0b", 4);
        const auto id = o.library.places().keep(p);
        QVERIFY(id.has_value());
        p.marks.plan->focal_px = 990;
        QCOMPARE(*o.library.places().keep(p), *id); // the same name: the same place
        const auto places = o.library.places().all();
        QVERIFY(places && places->size() == 1);
        QVERIFY(places->front().marks.plan->focal_px == 990 && places->front().marks.plan->root == p.marks.plan->root);
        QVERIFY(places->front().marks.lens->k == -0.03 && places->front().look == p.look);
        QVERIFY(o.library.places().forget(*id).has_value() && o.library.places().all()->empty());
        // Layers that do not add up are refused, whatever is wrong with them.
        for (const char* broken :
             {"", "[]", "{", R"({"plan":{}})", R"({"plan":{"focal_px":1000,"pitch":0,"roll":0,"height_m":1,"root":[1,2]}})",
              R"({"plan":{"focal_px":-5,"pitch":0,"roll":0,"height_m":1,"root":[0,0,0,0,0,0,0,0,0,0]}})",
              R"({"plan":{"focal_px":1e9,"pitch":0,"roll":0,"height_m":1,"root":[0,0,0,0,0,0,0,0,0,0]}})", R"({"lens":[0.1]})",
              R"({"lens":[0.1,-1]})", R"({"lens":["a","b"]})", R"({"swaps":[[1]]})", R"({"swaps":[["x",2]]})", R"({"swaps":[[-1,-2]]})",
              R"({"edits":[[1,"left_knee",1e300,2]]})", R"({"edits":[[1,"elbow",1,2]]})"})
            QVERIFY2(!unpack_marks(broken), broken);
        QVERIFY(unpack_marks(pack_marks(p.marks)).has_value());
        // A steadied track comes back whole; a cut or overlong one is refused.
        Track t;
        t.width = 640, t.height = 360;
        for (int i = 0; i < 30; ++i) {
            t.time_s.push_back(i / 20.0);
            t.px.emplace_back(BodyPx{});
            t.m.emplace_back();
            Steady s;
            s.h[2] = 0.5 * i;
            s.h[6] = 1e-6 * i;
            s.sigma = 0.25;
            t.layers.steady.push_back(s);
        }
        const std::string bytes = pack_track(t);
        const auto back = unpack_track(bytes);
        QVERIFY(back && back->layers.steady.size() == 30 && back->layers.steady[7].h == t.layers.steady[7].h &&
                back->layers.steady[7].sigma == 0.25);
        for (const std::size_t cut : {std::size_t{1}, std::size_t{4}, std::size_t{60}, std::size_t{30 * 68 + 3}})
            QVERIFY(!unpack_track(bytes.substr(0, bytes.size() - cut)));
        QVERIFY(!unpack_track(bytes + "x"));
    }
    void films_go_when_their_day_has_passed_and_the_rest_stays() {
        One o = one("keeping");
        QCOMPARE(o.library.people().all()->front().keep_until, std::string());
        QVERIFY(o.library.people().set_keep_until(o.person, "2026-08-01").has_value());
        QCOMPARE(o.library.people().all()->front().keep_until, std::string("2026-08-01"));
        QVERIFY(o.library.decisions().save(o.clip, {"head", "", Choice::kept, "", ""}).has_value());
        const auto clip = *o.library.clips().get(o.clip);
        QCOMPARE(o.library.clips().room_of({clip, clip}), std::uintmax_t{12}); // "clip keeping", counted once
        QVERIFY(o.library.clips().drop_film(o.clip).has_value());
        QVERIFY(!o.library.clips().has_file(clip));
        QCOMPARE(o.library.clips().room_of({clip}), std::uintmax_t{0});
        QCOMPARE(o.library.decisions().of(o.clip)->size(), std::size_t{1});
    }
    void a_file_is_written_beside_synced_and_put_in_its_place() {
        const auto file = path("whole.txt");
        put(file, "the old one");
        Watched disk;
        QVERIFY(write_whole(file, "the new one", disk).has_value());
        QCOMPARE(bytes_of(file), std::string("the new one"));
        // Nothing is renamed before it is on the disk, and the folder's entry follows.
        QCOMPARE(disk.done, (QStringList{"open", "write", "sync", "rename", "open", "sync"}));
        for (const char* call : {"open", "write", "sync", "rename"}) {
            Watched full;
            full.fails = QLatin1String(call);
            const auto r = write_whole(file, "never", full);
            QVERIFY2(!r.has_value() && r.error().code == Code::write_failed, call);
            QVERIFY2(r.error().context.find("No space left") != std::string::npos, r.error().context.c_str());
            QCOMPARE(bytes_of(file), std::string("the new one")); // what was there stays
            QVERIFY(!std::filesystem::exists(path("whole.txt.part")));
        }
    }
    void a_device_is_written_to_directly_and_a_full_one_fails() {
        QVERIFY(write_whole("/dev/null", "away").has_value());
        const auto r = write_whole("/dev/full", "never");
        QVERIFY(!r.has_value() && r.error().code == Code::write_failed);
        QVERIFY(std::filesystem::is_character_file("/dev/full")); // not renamed over
        QVERIFY(!write_whole("/nonexistent/folder/x", "never").has_value());
    }
    void a_copy_can_be_cancelled_and_leaves_nothing() {
        put(path("long.bin"), std::string(5U << 20U, 'x'));
        std::stop_source stop;
        const auto r = copy_whole(path("long.bin"), path("copy.bin"), stop.get_token(), [&](double share) {
            if (share > 0.3) stop.request_stop();
        });
        QVERIFY(!r.has_value() && r.error().code == Code::cancelled);
        QVERIFY(!std::filesystem::exists(path("copy.bin")) && !std::filesystem::exists(path("copy.bin.part")));
        QVERIFY(copy_whole(path("long.bin"), path("copy.bin")).has_value());
        QCOMPARE(bytes_of(path("copy.bin")), bytes_of(path("long.bin")));
        QVERIFY(!copy_whole(path("no such file"), path("copy.bin")).has_value());
    }
    void one_library_has_one_owner() {
        {
            auto first = Library::open(path("owned"));
            QVERIFY(first.has_value());
            const auto second = Library::open(path("owned"));
            QVERIFY(!second.has_value());
            QCOMPARE(static_cast<int>(second.error().code), static_cast<int>(Code::in_use));
        }
        QVERIFY(Library::open(path("owned")).has_value()); // let go
    }
    void a_newer_library_is_read_and_never_written_to() {
        { auto o = one("newer"); }
        sqlite3* db = nullptr;
        sqlite3_open((path("newer") / "library.sqlite").string().c_str(), &db);
        sqlite3_exec(db, "PRAGMA journal_mode=DELETE; PRAGMA user_version=99", nullptr, nullptr, nullptr);
        sqlite3_close(db);
        const std::string before = bytes_of(path("newer") / "library.sqlite");
        {
            auto lib = Library::open(path("newer"));
            QVERIFY(lib.has_value());
            QVERIFY(lib->read_only());
            QCOMPARE(lib->people().all()->size(), std::size_t{1});
            QCOMPARE(lib->clips().all()->size(), std::size_t{1});
            for (const auto& r : {lib->settings().set("a", "b"), lib->decisions().decide(1, {"head", "", Choice::kept, "", ""}),
                                  lib->clips().set_state(1, ClipState::failed, "x"), lib->people().set_height(1, "2026-01-01", 1.6)})
                QVERIFY(!r.has_value() && r.error().context == "read_only");
        }
        QCOMPARE(bytes_of(path("newer") / "library.sqlite"), before);
    }
    void a_transaction_is_all_or_nothing() {
        auto o = one("together");
        const auto r = o.library.together([&]() -> Result<bool> {
            if (auto ok = o.library.settings().set("place", "Lantern Quay"); !ok) return ok;
            if (auto ok = o.library.decisions().decide(o.clip, {"head", "", Choice::kept, "", ""}); !ok) return ok;
            return fail(Code::cancelled, "");
        });
        QVERIFY(!r.has_value());
        QCOMPARE(o.library.settings().get("place"), std::string());
        QVERIFY(o.library.decisions().of(o.clip)->empty());
        QCOMPARE(o.library.clips().get(o.clip)->state, ClipState::waiting);
    }
    void a_decision_does_not_bring_back_old_facts() {
        auto o = one("narrow");
        Clip c = *o.library.clips().get(o.clip);
        c.movement = "separate_the_clouds";
        QVERIFY(o.library.clips().set_facts(c).has_value());
        QVERIFY(o.library.decisions().decide(o.clip, {"head", "", Choice::kept, "", ""}).has_value());
        QCOMPARE(o.library.clips().get(o.clip)->movement, std::string("separate_the_clouds"));
        QCOMPARE(o.library.clips().get(o.clip)->state, ClipState::reviewed);
    }
    void a_height_holds_from_its_day() {
        auto o = one("height");
        const auto p = *o.library.people().add({0, "Lio", 1.30, "", 0}, "2025-01-01");
        QVERIFY(o.library.people().set_height(p, "2026-01-01", 1.37).has_value());
        for (const auto& [day, m] : std::vector<std::pair<std::string, double>>{
                 {"2024-06-01", 1.30}, {"2025-01-01", 1.30}, {"2025-12-31", 1.30}, {"2026-01-01", 1.37}, {"2026-11-01", 1.37}})
            QCOMPARE(*o.library.people().height_at(p, day), m);
        const auto people = *o.library.people().all();
        for (const auto& person : people)
            if (person.id == p) QCOMPARE(person.stature_m, 1.37);
        QVERIFY(!o.library.people().set_height(p, "2026-02-01", 9).has_value()); // nobody is so tall, and nothing of it stays
        QCOMPARE(*o.library.people().height_at(p, "2026-03-01"), 1.37);
    }
    void the_same_clip_is_noticed_and_a_lost_one_gets_its_file_back() {
        auto o = one("same");
        put(path("again.mp4"), "clip same"); // the same bytes under another name
        QCOMPARE((*o.library.clips().same_file(path("again.mp4")))->id, o.clip);
        put(path("other.mp4"), "another");
        QVERIFY(!*o.library.clips().same_file(path("other.mp4")));
        const Clip c = *o.library.clips().get(o.clip);
        QVERIFY(o.library.clips().has_file(c));
        std::filesystem::remove(o.library.clips().path_of(c));
        QVERIFY(!o.library.clips().has_file(c));
        const auto wrong = o.library.clips().replace_file(o.clip, path("other.mp4"));
        QVERIFY(!wrong.has_value() && wrong.error().context == "another_clip");
        QVERIFY(o.library.clips().replace_file(o.clip, path("again.mp4")).has_value());
        QVERIFY(o.library.clips().has_file(*o.library.clips().get(o.clip)));
        QCOMPARE(bytes_of(o.library.clips().path_of(*o.library.clips().get(o.clip))), std::string("clip same"));
    }
    void no_record_leads_out_of_the_library() {
        auto o = one("inside");
        for (const char* file : {"../../etc/passwd", "/etc/passwd", "clips/../../x"}) {
            Clip c;
            c.file = file;
            const auto p = o.library.clips().path_of(c).lexically_normal().string();
            QVERIFY2(p.starts_with(path("inside").string()), p.c_str());
        }
    }
    void what_was_sent_stays_as_it_was() {
        auto o = one("sent");
        SentLetter l;
        l.person = o.person, l.clip = o.clip, l.sent_at = "2026-05-12T19:00:00", l.kind = "pdf", l.name = "letter.pdf";
        l.body = R"({"items":[]})";
        l.file = std::string("%PDF\0 as it was", 15);
        const auto id = o.library.letters().keep_sent(l);
        QVERIFY(id.has_value());
        QCOMPARE(*o.library.letters().sent_file(*id), l.file);
        sqlite3* db = nullptr; // from outside, too
        sqlite3_open((path("sent") / "library.sqlite").string().c_str(), &db);
        QVERIFY(sqlite3_exec(db, "UPDATE sent SET file='forged'", nullptr, nullptr, nullptr) != SQLITE_OK);
        sqlite3_close(db);
        QVERIFY(o.library.clips().remove(o.clip).has_value());
        const auto all = *o.library.letters().sent(o.person);
        QCOMPARE(all.size(), std::size_t{1});
        QCOMPARE(all[0].clip, std::int64_t{0});
        QCOMPARE(*o.library.letters().sent_file(*id), l.file);
        QVERIFY(o.library.clips().all()->empty());
        QVERIFY(std::filesystem::is_empty(path("sent") / "clips"));
    }
    void an_erased_person_is_nowhere() {
        auto o = one("erased");
        const auto id = *o.library.people().add({0, "Quirina Zaleska", 1.61, "an unmistakable remark", 0});
        put(path("q.mp4"), "clip of q");
        Clip c;
        c.person = id;
        c.movement = "gaze_at_the_moon";
        const auto clip = *o.library.clips().add(c, path("q.mp4"));
        QVERIFY(o.library.decisions().decide(clip, {"head", "", Choice::kept, "unmistakable wording", ""}).has_value());
        Agreement a;
        a.person = id, a.check = "head", a.high = 5, a.reason = "unmistakable reason";
        QVERIFY(o.library.decisions().save_agreement(a).has_value());
        SentLetter l;
        l.person = id, l.clip = clip, l.sent_at = "2026-05-12T19:00:00", l.kind = "pdf", l.body = "{}", l.file = "unmistakable letter";
        QVERIFY(o.library.letters().keep_sent(l).has_value());
        QVERIFY(o.library.backups().write(path("all.tar"), "2026-05-13").has_value());
        // Another name for the same file on the disk shows what became of its content.
        std::filesystem::create_hard_link(o.library.clips().path_of(*o.library.clips().get(clip)), path("what is left"));
        const auto gone = o.library.people().erase(id);
        QCOMPARE(bytes_of(path("what is left")), std::string(9, '\0'));
        QVERIFY2(gone.has_value(), gone ? "" : gone.error().context.c_str());
        QCOMPARE(gone->clips, 1);
        QCOMPARE(gone->letters, 1);
        QCOMPARE(gone->backups, std::vector<std::string>{path("all.tar").string()}); // said, so that it can be dealt with
        for (const auto& e : std::filesystem::recursive_directory_iterator(path("erased"))) {
            if (!e.is_regular_file()) continue;
            const auto bytes = bytes_of(e.path());
            for (const char* trace : {"Quirina", "Zaleska", "unmistakable", "clip of q"})
                QVERIFY2(bytes.find(trace) == std::string::npos, e.path().c_str());
        }
        QCOMPARE(o.library.people().all()->size(), std::size_t{1}); // nobody else is touched
        QCOMPARE(o.library.clips().all()->size(), std::size_t{1});
    }
    void a_backup_is_the_whole_library_again() {
        auto o = one("original");
        QVERIFY(o.library.decisions().decide(o.clip, {"head", "", Choice::kept, "Look far.", ""}).has_value());
        QVERIFY(o.library.backups().write(path("b.tar"), "2026-05-13").has_value());
        QVERIFY(!Library::restore(path("b.tar"), path("original")).has_value()); // not over another
        QVERIFY(Library::restore(path("b.tar"), path("restored")).has_value());
        auto back = Library::open(path("restored"));
        QVERIFY(back.has_value());
        QCOMPARE(back->decisions().of(o.clip)->front().wording, std::string("Look far."));
        QCOMPARE(bytes_of(back->clips().path_of(*back->clips().get(o.clip))), std::string("clip original"));
        // Damaged, cut and foreign ones are refused and leave nothing.
        const std::string good = bytes_of(path("b.tar"));
        std::string evil = good;
        for (std::size_t at; (at = evil.find("clips/original.mp4")) != std::string::npos;) evil.replace(at, 18, "../../../evil.mp4x");
        int n = 0;
        for (const std::string& bytes : {std::string("not an archive"), good.substr(0, 300), std::string(), evil}) {
            put(path("bad.tar"), bytes);
            const auto to = path("bad" + std::to_string(n++));
            QVERIFY(!Library::restore(path("bad.tar"), to).has_value());
            QVERIFY(!std::filesystem::exists(to) && !std::filesystem::exists(to.string() + ".part"));
        }
        QVERIFY(!o.library.backups().write("/nonexistent/b.tar", "2026-05-13").has_value());
    }
    void a_body_half_found_goes_on() {
        auto o = one("half");
        QVERIFY(!*o.library.tracks().unfinished(o.clip));
        const sim::Take take(test::movement("gaze_at_the_moon"), sim::take_of(3, 1.7));
        Track t = test::pixel_track(take, 1, 1);
        QVERIFY(o.library.tracks().save_unfinished(o.clip, t, 40).has_value());
        const auto had = *o.library.tracks().unfinished(o.clip);
        QVERIFY(had && had->done == 40 && had->track.frames() == t.frames());
        QVERIFY(std::abs((*had->track.px[39])[nose].x - (*t.px[39])[nose].x) < 0.01);
        QVERIFY(o.library.tracks().forget_unfinished(o.clip).has_value());
        QVERIFY(!*o.library.tracks().unfinished(o.clip));
    }
    void an_upgrade_that_is_killed_is_done_again_and_loses_nothing() {
        Rng rng(7);
        for (int round = 0; round < 12; ++round) {
            // A library of the first version, with something in it.
            const auto folder = path("upgrade" + std::to_string(round));
            std::filesystem::create_directories(folder);
            sqlite3* db = nullptr;
            QCOMPARE(sqlite3_open((folder / "library.sqlite").string().c_str(), &db), SQLITE_OK);
            const char* sql =
                "CREATE TABLE person(id INTEGER PRIMARY KEY, name TEXT NOT NULL, stature_m REAL NOT NULL, notes TEXT NOT NULL DEFAULT '');"
                "CREATE TABLE clip(id INTEGER PRIMARY KEY, person INTEGER, file TEXT, movement TEXT, school TEXT, view TEXT, filmed_on "
                "TEXT, "
                "arrived_on TEXT, state INTEGER, problem TEXT);"
                "CREATE TABLE track(clip INTEGER PRIMARY KEY, points BLOB NOT NULL);"
                "CREATE TABLE decision(clip INTEGER, check_id TEXT, side TEXT, choice INTEGER, wording TEXT NOT NULL DEFAULT '', PRIMARY "
                "KEY(clip, check_id, side));"
                "CREATE TABLE letter(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL UNIQUE, body TEXT NOT NULL, sent_on TEXT NOT NULL "
                "DEFAULT "
                "'');"
                "INSERT INTO person(name, stature_m) VALUES('Greta', 1.61);"
                "WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 400) INSERT INTO clip(id, person, file, "
                "movement, "
                "school, view, filmed_on, arrived_on, state, problem) SELECT i, 1, 'clips/' || i || '.mp4', 'm', '', '', '', '', 1, '' "
                "FROM n;"
                "INSERT INTO decision SELECT id, 'head', '', 1, 'wording ' || id FROM clip; PRAGMA user_version=1";
            QCOMPARE(sqlite3_exec(db, sql, nullptr, nullptr, nullptr), SQLITE_OK);
            sqlite3_close(db);
            const pid_t child = ::fork();
            QVERIFY(child >= 0);
            if (child == 0) {
                const auto lib = Library::open(folder);
                _exit(lib ? 0 : 3);
            }
            std::this_thread::sleep_for(std::chrono::microseconds(static_cast<int>(rng.uniform(500, 40000))));
            ::kill(child, SIGKILL);
            int status = 0;
            QCOMPARE(::waitpid(child, &status, 0), child);
            QVERIFY(WIFSIGNALED(status) || WEXITSTATUS(status) == 0);
            auto lib = Library::open(folder);
            QVERIFY2(lib.has_value(), lib ? "" : lib.error().context.c_str());
            QCOMPARE(lib->clips().all()->size(), std::size_t{400});
            QCOMPARE(lib->decisions().of(237)->front().wording, std::string("wording 237"));
            QCOMPARE(*lib->people().height_at(1, "2026-01-01"), 1.61);
            QVERIFY(std::filesystem::exists(folder / "library-version-1.sqlite"));
        }
    }
    void nothing_that_was_said_to_be_done_is_lost_when_it_is_killed() {
        const int rounds = qEnvironmentVariableIntValue("BEVEL_KILLS") > 0 ? qEnvironmentVariableIntValue("BEVEL_KILLS") : 20;
        put(path("k.mp4"), std::string(200000, 'k'));
        Rng rng(99);
        const auto folder = path("killed");
        { QVERIFY(Library::open(folder)->people().add({0, "Wen", 1.6, "", 0}).has_value()); }
        std::map<char, std::set<std::int64_t>> said;
        for (int round = 0; round < rounds; ++round) {
            std::array<int, 2> ends{};
            QVERIFY(::pipe(ends.data()) == 0);
            const pid_t child = ::fork();
            QVERIFY(child >= 0);
            if (child == 0) {
                ::close(ends[0]);
                work_until_killed(folder, path("k.mp4"), ends[1]);
            }
            ::close(ends[1]);
            std::this_thread::sleep_for(std::chrono::microseconds(static_cast<int>(rng.uniform(8000, 140000))));
            ::kill(child, SIGKILL);
            std::array<char, 9> m{};
            while (::read(ends[0], m.data(), m.size()) == 9) {
                std::int64_t id = 0;
                std::memcpy(&id, m.data() + 1, 8);
                said[m[0]].insert(id);
            }
            ::close(ends[0]);
            int status = 0;
            QCOMPARE(::waitpid(child, &status, 0), child);
            QVERIFY2(WIFSIGNALED(status), qPrintable(QString::number(status))); // it was killed, it did not give up
            auto lib = Library::open(folder);
            QVERIFY2(lib.has_value(), lib ? "" : lib.error().context.c_str());
            std::set<std::int64_t> clips;
            const auto all = *lib->clips().all();
            for (const auto& c : all) {
                clips.insert(c.id);
                QCOMPARE(std::filesystem::file_size(lib->clips().path_of(c)), std::uintmax_t{200000}); // no half clip
            }
            std::size_t files = 0;
            for (const auto& e : std::filesystem::directory_iterator(folder / "clips")) files += e.is_regular_file() ? 1 : 0;
            QCOMPARE(files, clips.size()); // and none that nobody knows
            for (const auto id : said['c']) QVERIFY(clips.contains(id));
            for (const auto id : said['u']) QVERIFY(lib->tracks().unfinished(id)->has_value());
            for (const auto id : said['d']) QCOMPARE(lib->decisions().of(id)->size(), std::size_t{1});
            for (const auto id : said['s']) QCOMPARE(*lib->letters().sent_file(id), std::string("%PDF the letter"));
        }
        QVERIFY(said['s'].size() > 3); // it did get somewhere
    }
    void what_is_agreed_holds_from_its_first_to_its_last_day() {
        auto o = one("agreed");
        Agreement a;
        a.person = o.person;
        a.check = "trunk_lean";
        a.high = 20;
        a.reason = "A stiff hip.";
        a.from_day = "2026-05-01";
        a.until_day = "2026-06-01";
        const auto id = o.library.decisions().save_agreement(a);
        QVERIFY(id.has_value());
        Clip c = *o.library.clips().get(o.clip);
        auto in_force = [&](const std::string& day) {
            c.filmed_on = day;
            return o.library.decisions().agreements_for(c)->size();
        };
        for (const auto& [day, n] : std::vector<std::pair<std::string, std::size_t>>{
                 {"2026-04-30", 0}, {"2026-05-01", 1}, {"2026-06-01", 1}, {"2026-06-02", 0}, {"", 1}}) // "": the day it arrived
            QCOMPARE(in_force(day), n);
        // Of another person never.
        c.person = *o.library.people().add({0, "Wen", 1.6, "", 0});
        QCOMPARE(in_force("2026-05-10"), std::size_t{0});
        // Changed, and taken back.
        a.id = *id;
        a.until_day.clear();
        QCOMPARE(*o.library.decisions().save_agreement(a), *id);
        QCOMPARE(o.library.decisions().agreements(o.person)->size(), std::size_t{1});
        QCOMPARE(o.library.decisions().agreements(o.person)->front().high, std::optional<double>(20));
        QVERIFY(!o.library.decisions().agreements(o.person)->front().low);
        QVERIFY(o.library.decisions().remove_agreement(*id).has_value());
        QVERIFY(o.library.decisions().agreements(o.person)->empty());
    }
    void a_band_of_the_clip_comes_after_that_of_the_person() {
        auto o = one("both");
        Agreement mine, clip;
        clip.clip = o.clip, clip.check = "head", clip.off = true, clip.reason = "A scarf hides it.";
        mine.person = o.person, mine.check = "head", mine.high = 6, mine.reason = "Agreed.";
        QVERIFY(o.library.decisions().save_agreement(clip).has_value());
        QVERIFY(o.library.decisions().save_agreement(mine).has_value());
        const auto all = *o.library.decisions().agreements_for(*o.library.clips().get(o.clip));
        QCOMPARE(all.size(), std::size_t{2});
        QVERIFY(all[0].person != 0 && all[1].clip == o.clip && all[1].off);
    }
    void an_agreement_that_says_nothing_is_refused() {
        auto o = one("nothing");
        Agreement a;
        a.person = o.person, a.check = "head", a.high = 5, a.reason = "r";
        auto refused = [&](auto change, const char* why) {
            Agreement b = a;
            change(b);
            const auto r = o.library.decisions().save_agreement(b);
            return !r.has_value() && r.error().context == why;
        };
        QVERIFY(refused([](Agreement& b) { b.reason.clear(); }, "reason"));
        QVERIFY(refused([](Agreement& b) { b.check.clear(); }, "check"));
        QVERIFY(refused([](Agreement& b) { b.clip = 1; }, "check")); // of both
        QVERIFY(refused([](Agreement& b) { b.high.reset(); }, "band"));
        QVERIFY(refused([](Agreement& b) { b.low = 9; }, "band"));
        QVERIFY(refused([](Agreement& b) { b.from_day = "2026-02-01", b.until_day = "2026-01-01"; }, "days"));
        QVERIFY(o.library.decisions().agreements(o.person)->empty());
    }
};
QTEST_GUILESS_MAIN(TestStore)
#include "test_store.moc"
