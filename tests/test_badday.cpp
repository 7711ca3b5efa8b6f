// A library on a bad day: files that are missing, damaged, shortened, left by a killed run; backups that must not lie; people who are to be
// nowhere.
#include "core/bounded_json.h"
#include "core/days.h"
#include "core/files.h"
#include "store/library.h"
#include "store/sum.h"
#include "support/synthetic.h"
#include <archive.h>
#include <archive_entry.h>
#include <csignal>
#include <QTemporaryDir>
#include <QTest>
#include <sqlite3.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

using namespace bevel;
namespace fs = std::filesystem;

class TestBadDay : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    fs::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }
    static void put(const fs::path& file, const std::string& bytes) { QVERIFY(write_whole(file, bytes)); }
    static std::string bytes_of(const fs::path& file) {
        QFile f(QString::fromStdString(file.string()));
        return f.open(QIODevice::ReadOnly) ? f.readAll().toStdString() : std::string();
    }
    /// A library with one person and two clips.
    std::int64_t made(const std::string& name) const {
        auto lib = *Library::open(path(name));
        Person p;
        p.name = "Noor Haddad";
        const auto id = *lib.people().add(p);
        for (const char* film : {"first", "second"}) {
            put(path(std::string(film) + ".mp4"), std::string(5000, film[0]) + name);
            Clip c;
            c.person = id, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-10";
            QTest::qVerify(lib.clips().add(c, path(std::string(film) + ".mp4")).has_value(), "add_clip", "", __FILE__, __LINE__);
        }
        return id;
    }
    static void run(const fs::path& library, const char* sql) {
        sqlite3* db = nullptr;
        QCOMPARE(sqlite3_open((library / "library.sqlite").string().c_str(), &db), SQLITE_OK);
        QCOMPARE(sqlite3_exec(db, sql, nullptr, nullptr, nullptr), SQLITE_OK);
        sqlite3_close(db);
    }
    static Library::Trouble trouble(const Result<Library>& r) { return r ? Library::Trouble::none : Library::trouble_of(r.error()); }
    /// Names in a tar archive, in order.
    static std::vector<std::string> names_in(const fs::path& tar) {
        std::vector<std::string> out;
        archive* a = archive_read_new();
        archive_read_support_format_tar(a);
        archive_entry* e = nullptr;
        if (archive_read_open_filename(a, tar.c_str(), 10240) == ARCHIVE_OK)
            while (archive_read_next_header(a, &e) == ARCHIVE_OK) out.emplace_back(archive_entry_pathname(e));
        archive_read_free(a);
        return out;
    }

private slots:
    void films_without_their_library_are_no_new_library() {
        made("lost");
        const auto film = path("lost") / "clips" / "first.mp4";
        for (const bool empty : {false, true}) {
            fs::remove(path("lost") / "library.sqlite");
            for (const char* beside : {"library.sqlite-wal", "library.sqlite-shm"}) fs::remove(path("lost") / beside);
            if (empty) QVERIFY(write_whole(path("lost") / "library.sqlite", ""));
            QCOMPARE(trouble(Library::open(path("lost"))), Library::Trouble::missing);
            QCOMPARE(trouble(Library::open(path("lost"), true)), Library::Trouble::missing);
            QVERIFY2(fs::exists(film), "films are left alone");
            QVERIFY(!empty || fs::file_size(path("lost") / "library.sqlite") == 0);
        }
        // An empty folder and one that is not there become one; an empty file without films too.
        QVERIFY(Library::open(path("new")));
        fs::create_directories(path("null"));
        QVERIFY(write_whole(path("null") / "library.sqlite", ""));
        QVERIFY(Library::open(path("null")));
    }

    void a_damaged_library_is_said_to_be_and_is_not_changed() {
        made("hurt");
        const std::string good = bytes_of(path("hurt") / "library.sqlite");
        QVERIFY(good.size() > 20000);
        std::vector<std::string> bad{std::string("this is no library at all, but a longer text than a header"), good.substr(0, 5000)};
        auto scribbled = good;
        for (std::size_t i = 4096; i < good.size(); i += 700) scribbled[i] = static_cast<char>(scribbled[i] ^ 0x5a);
        bad.push_back(scribbled);
        for (const auto& bytes : bad) {
            QVERIFY(write_whole(path("hurt") / "library.sqlite", bytes));
            QCOMPARE(trouble(Library::open(path("hurt"))), Library::Trouble::damaged);
            QCOMPARE(bytes_of(path("hurt") / "library.sqlite"), bytes);
        }
        // Read in spite of it, or said: never a crash, never written to.
        for (const auto& bytes : bad) {
            QVERIFY(write_whole(path("hurt") / "library.sqlite", bytes));
            auto lib = Library::open(path("hurt"), true);
            if (lib) {
                QVERIFY(lib->read_only());
                (void)lib->people().all();
                (void)lib->clips().all();
                QVERIFY(!lib->settings().set("a", "b"));
            } else {
                QCOMPARE(trouble(lib), Library::Trouble::damaged);
            }
            lib = fail(Code::cancelled, "");
            QCOMPARE(bytes_of(path("hurt") / "library.sqlite"), bytes);
        }
    }

    void what_a_killed_run_wrote_is_read_where_nothing_can_be_written() {
        const auto id = made("wal");
        // A run that ends in the middle leaves what it wrote in the journal beside the library.
        const pid_t child = ::fork();
        QVERIFY(child >= 0);
        if (child == 0) {
            auto lib = Library::open(path("wal"));
            if (!lib || !lib->settings().set("place", "Lantern Quay")) _exit(3);
            ::kill(::getpid(), SIGKILL);
        }
        int status = 0;
        QCOMPARE(::waitpid(child, &status, 0), child);
        QVERIFY(WIFSIGNALED(status));
        QVERIFY(fs::file_size(path("wal") / "library.sqlite-wal") > 0);
        const auto before = bytes_of(path("wal") / "library.sqlite"), journal = bytes_of(path("wal") / "library.sqlite-wal");
        {
            const auto lib = Library::open(path("wal"), true);
            QVERIFY(lib);
            QVERIFY(lib->read_only());
            QCOMPARE(lib->settings().get("place"), std::string("Lantern Quay"));
            QCOMPARE(lib->people().all()->front().id, id);
            QCOMPARE(lib->clips().all()->size(), std::size_t{2});
        }
        QCOMPARE(bytes_of(path("wal") / "library.sqlite"), before);
        QCOMPARE(bytes_of(path("wal") / "library.sqlite-wal"), journal);
    }

    void one_row_that_points_nowhere_does_not_close_the_library() {
        made("dangling");
        run(path("dangling"), "PRAGMA foreign_keys=OFF; INSERT INTO decision(clip, check_id, side, choice) VALUES(777, 'head', '', 1)");
        const auto lib = Library::open(path("dangling"));
        QVERIFY(lib);
        QCOMPARE(lib->dangling(), 1);
        QCOMPARE(lib->clips().all()->size(), std::size_t{2});
    }

    void what_it_was_before_an_upgrade_is_whole() {
        // Killed at any moment of an upgrade: the copy is there whole or not at all.
        made("master");
        { auto lib = Library::open(path("master")); }
        run(path("master"), "PRAGMA journal_mode=DELETE");
        Rng rng(11);
        int copies = 0;
        for (int round = 0; round < 14; ++round) {
            const auto folder = path("up" + std::to_string(round));
            fs::create_directories(folder / "clips");
            sqlite3* db = nullptr;
            sqlite3_open((folder / "library.sqlite").string().c_str(), &db);
            // One of version 2, large enough that copying it takes a while.
            QCOMPARE(
                sqlite3_exec(db,
                             "CREATE TABLE person(id INTEGER PRIMARY KEY, name TEXT NOT NULL, stature_m REAL NOT NULL CHECK(stature_m "
                             "BETWEEN 0.8 AND 2.5), notes TEXT NOT NULL DEFAULT '');"
                             "CREATE TABLE clip(id INTEGER PRIMARY KEY, person INTEGER, file TEXT, movement TEXT, school TEXT, view TEXT, "
                             "filmed_on TEXT, arrived_on TEXT, state INTEGER, problem TEXT);"
                             "CREATE TABLE track(clip INTEGER PRIMARY KEY, points BLOB NOT NULL);"
                             "CREATE TABLE decision(clip INTEGER, check_id TEXT, side TEXT, choice INTEGER, wording TEXT NOT NULL DEFAULT "
                             "'', note TEXT NOT NULL DEFAULT '', PRIMARY KEY(clip, check_id, side));"
                             "CREATE TABLE letter(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL UNIQUE, body TEXT NOT NULL, sent_on TEXT "
                             "NOT NULL DEFAULT '');"
                             "INSERT INTO person(name, stature_m) VALUES('Greta', 1.61);"
                             "WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i+1 FROM n WHERE i<200) INSERT INTO track SELECT i, "
                             "randomblob(40000) FROM n; PRAGMA user_version=2",
                             nullptr, nullptr, nullptr),
                SQLITE_OK);
            sqlite3_close(db);
            const pid_t child = ::fork();
            QVERIFY(child >= 0);
            if (child == 0) {
                const auto lib = Library::open(folder);
                _exit(0);
            }
            const auto copy = folder / "library-version-2.sqlite";
            const bool late = round >= 10; // while the tables are changed, the others while it is copied
            for (int k = 0; k < 10000 && !fs::exists(copy) && (late || !fs::exists(copy.string() + ".part")); ++k)
                std::this_thread::sleep_for(std::chrono::milliseconds(1));
            std::this_thread::sleep_for(std::chrono::microseconds(static_cast<int>(rng.uniform(0, 9000 * (round + 1)))));
            ::kill(child, SIGKILL);
            int status = 0;
            ::waitpid(child, &status, 0);
            if (fs::exists(copy)) {
                ++copies;
                QCOMPARE(sqlite3_open_v2(copy.string().c_str(), &db, SQLITE_OPEN_READONLY, nullptr), SQLITE_OK);
                sqlite3_stmt* s = nullptr;
                QCOMPARE(sqlite3_prepare_v2(db, "SELECT (SELECT quick_check FROM pragma_quick_check(1)), (SELECT count(*) FROM track)", -1,
                                            &s, nullptr),
                         SQLITE_OK);
                QCOMPARE(sqlite3_step(s), SQLITE_ROW);
                QCOMPARE(std::string(reinterpret_cast<const char*>(sqlite3_column_text(s, 0))), std::string("ok"));
                QCOMPARE(sqlite3_column_int(s, 1), 200);
                sqlite3_finalize(s);
                sqlite3_close(db);
            }
            QVERIFY(Library::open(folder));
            QVERIFY(fs::exists(copy));
        }
        QVERIFY(copies >= 1);
        // One that an earlier program left unusable is made anew.
        const auto folder = path("up-bad");
        fs::create_directories(folder);
        fs::copy(path("up0") / "library-version-2.sqlite", folder / "library.sqlite");
        QVERIFY(write_whole(folder / "library-version-2.sqlite", "half of it"));
        QVERIFY(Library::open(folder));
        QVERIFY(fs::file_size(folder / "library-version-2.sqlite") > 1000000);
    }

    void a_backup_tells_of_films_that_are_not_what_they_were() {
        made("spoilt");
        auto lib = *Library::open(path("spoilt"));
        const auto film = path("spoilt") / "clips" / "first.mp4";
        auto bytes = bytes_of(film);
        // One byte, and a shorter one, are found in the same way.
        for (const bool shorter : {false, true}) {
            auto bad = shorter ? bytes.substr(0, 3000) : bytes;
            if (!shorter) bad[77] = static_cast<char>(bad[77] ^ 1);
            QVERIFY(write_whole(film, bad));
            const auto refused = lib.backups().write(path("s.tar"), "2026-05-11");
            QVERIFY(!refused);
            QCOMPARE(refused.error().context, std::string("damaged films: first.mp4"));
            QVERIFY(!fs::exists(path("s.tar")) && !fs::exists(path("s.part.tar")));
            const auto without = lib.backups().write(path("s.tar"), "2026-05-11", true);
            QVERIFY(without);
            QCOMPARE(without->damaged, std::vector<std::string>{"first.mp4"});
            QCOMPARE(without->films, 1);
            QCOMPARE(names_in(path("s.tar")), (std::vector<std::string>{"library.sqlite", "clips/second.mp4"}));
            fs::remove(path("s.tar"));
        }
        QVERIFY(write_whole(film, bytes));
        // A good backup whose film is changed afterwards is not restored as good.
        QVERIFY(lib.backups().write(path("s.tar"), "2026-05-11"));
        auto tar = bytes_of(path("s.tar"));
        const auto at = tar.find(std::string(100, 'f'));
        QVERIFY(at != std::string::npos);
        tar[at + 3000] = 'x';
        QVERIFY(write_whole(path("t.tar"), tar));
        const auto back = Library::restore(path("t.tar"), path("back"));
        QVERIFY(!back);
        QCOMPARE(back.error().context, std::string("damaged films: first.mp4"));
        QVERIFY(!fs::exists(path("back")) && !fs::exists(path("back.part")));
        const auto rest = Library::restore(path("t.tar"), path("back"), true);
        QVERIFY(rest);
        QCOMPARE(rest->films, 1);
        const auto again = Library::open(path("back"));
        QVERIFY(again);
        QCOMPARE(again->clips().all()->size(), std::size_t{2});
        QVERIFY(!fs::exists(path("back") / "clips" / "first.mp4") && fs::exists(path("back") / "clips" / "second.mp4"));
    }

    void a_backup_holds_recordings_and_each_film_once() {
        made("all");
        auto lib = *Library::open(path("all"));
        fs::create_directories(path("all") / "spoken" / "en");
        QVERIFY(write_whole(path("all") / "spoken" / "en" / "sink.wav", "RIFF of my own"));
        const auto first = lib.clips().all()->back().id;
        Track t;
        t.width = t.height = 100;
        for (int i = 0; i < 400; ++i) t.time_s.push_back(i * 0.04), t.px.emplace_back(), t.m.emplace_back();
        QVERIFY(lib.tracks().save(first, t));
        QVERIFY(lib.clips().cut(first, {{0, 4}, {4, 8}, {8, 12}}));
        const auto done = lib.backups().write(path("all.tar"), "2026-05-11");
        QVERIFY(done);
        QCOMPARE(done->films, 2);
        QCOMPARE(names_in(path("all.tar")),
                 (std::vector<std::string>{"library.sqlite", "clips/first.mp4", "clips/second.mp4", "spoken/en/sink.wav"}));
        QVERIFY(Library::restore(path("all.tar"), path("all again")));
        QCOMPARE(bytes_of(path("all again") / "spoken" / "en" / "sink.wav"), std::string("RIFF of my own"));
        QCOMPARE(Library::open(path("all again"))->clips().all()->size(), std::size_t{4});
    }

    void a_killed_backup_leaves_nothing() {
        made("killed");
        {
            auto lib = *Library::open(path("killed"));
            put(path("large.mp4"), std::string(60U << 20U, 'l'));
            Clip c;
            c.person = 1, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-10";
            QVERIFY(lib.clips().add(c, path("large.mp4")));
        }
        fs::create_directories(path("stick"));
        int left = 0;
        for (int round = 0; round < 6; ++round) {
            const pid_t child = ::fork();
            QVERIFY(child >= 0);
            if (child == 0) {
                auto lib = Library::open(path("killed"));
                if (lib) (void)lib->backups().write(path("stick") / "b.tar", "2026-05-11");
                _exit(0);
            }
            for (int k = 0; k < 2000 && !fs::exists(path("stick") / "b.part.tar"); ++k)
                std::this_thread::sleep_for(std::chrono::milliseconds(1));
            std::this_thread::sleep_for(std::chrono::milliseconds(round * 4));
            ::kill(child, SIGKILL);
            int status = 0;
            ::waitpid(child, &status, 0);
            left += fs::exists(path("stick") / "b.part.tar") ? 1 : 0;
            fs::remove(path("stick") / "b.tar");
            QVERIFY(Library::open(path("killed")));
            QVERIFY2(fs::is_empty(path("stick")), "the next start clears it away");
            QVERIFY(!fs::exists(path("killed") / "library.sqlite.part"));
        }
        QVERIFY2(left > 0, "none was killed in the middle");
    }

    void who_has_a_clip_without_a_film_can_be_erased() {
        auto id = made("none");
        auto lib = *Library::open(path("none"));
        Person p;
        p.name = "Bo Lind";
        const auto bo = *lib.people().add(p);
        Clip c;
        c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-10";
        for (const auto who : {id, bo}) {
            c.person = who;
            QVERIFY(lib.clips().add_record(c));
        }
        const auto gone = lib.people().erase(id);
        QVERIFY2(gone, gone ? "" : gone.error().context.c_str());
        QVERIFY2(gone->shared_with.empty(), "nobody shares no film");
        QCOMPARE(gone->clips, 3);
        QCOMPARE(lib.people().all()->size(), std::size_t{1});
        const auto left = lib.clips().all();
        QCOMPARE(left->size(), std::size_t{1});
        QVERIFY(lib.clips().drop_film(left->front().id));
        QVERIFY(lib.clips().remove(left->front().id));
        QVERIFY(fs::exists(path("none") / "clips"));
    }

    void an_erased_person_is_in_none_of_its_places() {
        const auto id = made("gone");
        auto lib = *Library::open(path("gone"));
        PersonFacts f;
        f.alias = "Noorchen";
        QVERIFY(lib.people().set_facts(id, f));
        for (const char* words :
             {"Noor, sink a little less.", "Let Haddad's elbow hang.", "Let the elbow hang.", "Noorwood is a place.", "a minoor thing"}) {
            Phrase p;
            p.check = "elbow", p.direction = "low", p.language = "en", p.words = words;
            QVERIFY(lib.letters().keep_phrase(p));
        }
        fs::create_directories(lib.mail_folder() / "sent-1");
        QVERIFY(write_whole(lib.mail_folder() / "Noor Haddad.pdf", "letter to Noor Haddad"));
        QVERIFY(write_whole(lib.mail_folder() / "sent-1" / "x.html", "letter to Noor Haddad"));
        QVERIFY(lib.forms().keep({"evening", "{\"title\": \"For Noor Haddad\"}"}, Own::plan));
        fs::create_hard_link(lib.mail_folder() / "Noor Haddad.pdf", path("what is left of the letter"));
        const auto gone = lib.people().erase(id);
        QVERIFY(gone);
        QCOMPARE(gone->phrases, 2);
        QCOMPARE(lib.letters().phrases()->size(), std::size_t{3});
        QCOMPARE(gone->mentions, std::vector<std::string>{"own_plan"}); // the instructor's own text: said, not torn
        QVERIFY(lib.forms().drop("evening", Own::plan));
        QVERIFY(!fs::exists(lib.mail_folder()));
        QCOMPARE(bytes_of(path("what is left of the letter")), std::string(21, '\0'));
        QVERIFY(lib.backups().compact());
        for (const auto& e : fs::recursive_directory_iterator(path("gone"))) {
            if (!e.is_regular_file()) continue;
            const auto bytes = bytes_of(e.path());
            for (const char* trace : {"Noor,", "Noor Haddad", "Haddad", "ffffffffff", "ssssssssss"})
                QVERIFY2(bytes.find(trace) == std::string::npos, (e.path().string() + " has " + trace).c_str());
            QVERIFY(e.path().string().find("Noor") == std::string::npos);
        }
    }

    void copies_for_other_programs_go_at_the_next_start() {
        made("mail");
        fs::path copies;
        {
            const auto lib = *Library::open(path("mail"));
            copies = lib.mail_folder();
        }
        fs::create_directories(copies / "sent-7");
        QVERIFY(write_whole(copies / "sent-7" / "a.pdf", "x"));
        // What somebody else keeps in the same folder is theirs.
        for (const char* theirs : {"bundle-mine.mp4", "bundle-7.zip", "bundle-.mp4", "notes.part.txt"})
            QVERIFY(write_whole(path("mail") / theirs, "mine"));
        fs::create_directories(path("mail") / "mail");
        QVERIFY(write_whole(path("mail") / "bundle-12.mp4", "of a killed run"));
        QVERIFY(Library::open(path("mail")));
        QVERIFY(!fs::exists(copies));
        QVERIFY(!fs::exists(path("mail") / "bundle-12.mp4"));
        for (const char* theirs : {"bundle-mine.mp4", "bundle-7.zip", "bundle-.mp4", "notes.part.txt", "mail"})
            QVERIFY2(fs::exists(path("mail") / theirs), theirs);
    }

    void days_are_days_of_these_centuries() {
        for (const char* good : {"", "2026-11-30", "1900-01-01", "2199-12-31", "2024-02-29", "2000-02-29"}) QVERIFY2(is_day(good), good);
        for (const char* bad : {"9999-12-31", "2026-13-01", "2026-00-10", "2026-02-29", "1900-02-29", "2026-11-31", "2026-1-1", "yesterday",
                                "2026/11/30", "2026-11-3x", " 2026-11-30", "0000-00-00", "1899-12-31", "2200-01-01"})
            QVERIFY2(!is_day(bad), bad);
        made("days");
        auto lib = *Library::open(path("days"));
        Clip c = lib.clips().all()->front();
        c.filmed_on = "9999-12-31";
        QVERIFY(!lib.clips().add_record(c));
        QVERIFY(!lib.clips().set_facts(c));
        QVERIFY(!lib.clips().add(c, path("first.mp4")));
        QVERIFY(!fs::exists(path("days") / "clips" / "first-2.mp4"));
    }

    void one_clip_from_the_future_hides_none_that_wait() {
        const auto id = made("future");
        auto lib = *Library::open(path("future"));
        const std::vector<Clip> clips = lib.clips().all().value();
        for (const auto& c : clips) {
            QVERIFY(lib.clips().set_state(c.id, ClipState::tracked, ""));
            const auto ok = lib.decisions().decide(c.id, {"head", "", Choice::kept, "", ""});
            QVERIFY2(ok, ok ? "" : ok.error().context.c_str());
        }
        QCOMPARE(lib.letters().waiting()->size(), std::size_t{2});
        Clip c;
        c.person = id, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2199-12-31";
        const auto late = *lib.clips().add_record(c);
        QVERIFY(lib.clips().set_state(late, ClipState::tracked, ""));
        QCOMPARE(lib.letters().waiting()->size(), std::size_t{3});
    }

    void a_clip_that_ends_the_program_is_known() {
        made("attempt");
        for (int n = 0; n < 3; ++n) { // begun, and never ended
            auto lib = *Library::open(path("attempt"));
            QCOMPARE(lib.tracks().attempts(1), n);
            QVERIFY(lib.tracks().begin_attempt(1));
        }
        auto lib = *Library::open(path("attempt"));
        QCOMPARE(lib.tracks().attempts(1), 3);
        QCOMPARE(lib.tracks().attempts(2), 0);
        QVERIFY(lib.tracks().end_attempt(2));
        QCOMPARE(lib.tracks().attempts(1), 3);
        QVERIFY(lib.tracks().end_attempt(1));
        QCOMPARE(lib.tracks().attempts(1), 0);
        QVERIFY(lib.tracks().begin_attempt(2));
        QCOMPARE(lib.tracks().attempts(2), 1);
        QVERIFY(lib.settings().set("attempt", "1 x"));
        QCOMPARE(lib.tracks().attempts(1), 0);
    }

    void what_is_kept_is_for_its_owner_alone() {
        made("open");
        QVERIFY(write_whole(path("open") / "holiday.txt", "of somebody else"));
        fs::permissions(path("open") / "holiday.txt", fs::perms(0644));
        fs::permissions(path("open") / "clips", fs::perms(0755));
        fs::permissions(path("open") / "clips" / "first.mp4", fs::perms(0644));
        fs::permissions(path("open") / "library.sqlite", fs::perms(0664));
        const auto lib = Library::open(path("open"));
        QVERIFY(lib);
        for (const auto& e : fs::recursive_directory_iterator(path("open")))
            QVERIFY2((e.path().filename() == "holiday.txt") != ((e.status().permissions() & fs::perms(077)) == fs::perms::none),
                     e.path().c_str());
    }

    void text_that_grows_without_end_is_stopped() {
        QVERIFY(bounded_json("{\"a\": [1, 2, {\"b\": null}]}", "x"));
        QCOMPARE(bounded_json("{", "x").error().code, Code::unreadable);
        QCOMPARE(bounded_json("", "x").error().code, Code::unreadable);
        std::string wide = "[";
        for (int k = 0; k < 4000000; ++k) wide += "[],";
        QCOMPARE(bounded_json(wide + "0]", "x").error().code, Code::too_large);
        QCOMPARE(bounded_json(std::string(100, '[') + std::string(100, ']'), "x").error().code, Code::too_large);
        QVERIFY(bounded_json(std::string(30, '[') + std::string(30, ']'), "x"));
        std::stop_source stop;
        stop.request_stop();
        QCOMPARE(bounded_json(wide + "0]", "x", {100'000'000, 40}, stop.get_token()).error().code, Code::cancelled);
    }
};
QTEST_GUILESS_MAIN(TestBadDay)
#include "test_badday.moc"
