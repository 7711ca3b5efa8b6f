// Killed before any call that changes a file: importing, keeping points and letters, backup, restore, bundles, erasing, an upgrade. What
// was there is there, what was half done is whole or gone at the next start, and it can be done again. A sample of the calls; all of them
// with BEVEL_KILLS=all.
#include "core/files.h"
#include "store/bundle.h"
#include "store/library.h"
#include "support/end_at.h"
#include <QFile>
#include <QTemporaryDir>
#include <QTest>
#include <set>
#include <sqlite3.h>
#include <sys/wait.h>
#include <unistd.h>

using namespace bevel;
namespace fs = std::filesystem;

namespace {

constexpr int sampled = 14;

std::string bytes_of(const fs::path& file) {
    QFile f(QString::fromStdString(file.string()));
    return f.open(QIODevice::ReadOnly) ? f.readAll().toStdString() : std::string();
}

/// What is under a folder: files by their path in it.
std::set<std::string> files_in(const fs::path& folder) {
    std::set<std::string> out;
    for (const auto& e : fs::recursive_directory_iterator(folder))
        if (e.is_regular_file()) out.insert(fs::relative(e.path(), folder).string());
    return out;
}

Track some_track() {
    Track t;
    t.width = t.height = 100;
    for (int i = 0; i < 500; ++i) t.time_s.push_back(i * 0.04), t.px.emplace_back(), t.m.emplace_back();
    return t;
}

struct Work {
    const char* name;
    std::function<bool(const fs::path& folder)> does;               // in the child, on "library" in the folder
    std::function<void(const fs::path& folder, bool killed)> holds; // what must hold after the next start
};

} // namespace

class TestKills : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    fs::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }

    /// A library of two people, three clips with points and a letter; a film and a bundle beside it.
    void make_master() {
        const auto folder = path("master");
        fs::create_directories(folder);
        auto lib = Library::open(folder / "library");
        QVERIFY(lib);
        for (const char* name : {"Noor Haddad", "Ilse Brandt"}) {
            Person p;
            p.name = name;
            QVERIFY(lib->people().add(p));
        }
        for (int k = 0; k < 3; ++k) {
            const auto film = folder / ("film" + std::to_string(k) + ".mp4");
            QVERIFY(write_whole(film, std::string(70000, static_cast<char>('a' + k))));
            Clip c;
            c.person = k < 2 ? 1 : 2, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-10";
            const auto id = lib->clips().add(c, film);
            QVERIFY(id && lib->tracks().save(*id, some_track()) && lib->clips().set_state(*id, ClipState::tracked, ""));
            fs::remove(film);
        }
        SentLetter l;
        l.person = 1, l.clip = 1, l.sent_at = "2026-05-11T10:00:00", l.kind = "pdf", l.body = "{}", l.file = std::string(9000, 'p');
        QVERIFY(lib->letters().keep_sent(l));
        QVERIFY(write_whole(folder / "new.mp4", std::string(200000, 'n')));
        BundleOptions with;
        with.films = true;
        QVERIFY(write_bundle(*lib, 1, folder / "noor.zip", with));
        QVERIFY(lib->backups().write(folder / "whole.tar", "2026-05-12"));
    }

    /// Everything that was there, each film whole, no file that nobody knows.
    static void as_it_was(const Library& lib, std::size_t people = 2, std::size_t clips = 3) {
        const auto all = lib.clips().all();
        QVERIFY(lib.people().all() && all);
        QCOMPARE(lib.people().all()->size(), people);
        QCOMPARE(all->size(), clips);
        std::set<std::string> known;
        for (const auto& c : *all) {
            QVERIFY2(lib.clips().has_file(c), c.file.c_str());
            QVERIFY(fs::file_size(lib.clips().path_of(c)) == 70000 || fs::file_size(lib.clips().path_of(c)) == 200000);
            known.insert(c.file);
        }
        for (const auto& f : files_in(lib.folder())) {
            if (f.starts_with("clips/")) QVERIFY2(known.contains(f), f.c_str());
            QVERIFY2(!f.ends_with(".part") && f.find(".part.") == std::string::npos, f.c_str());
        }
        QCOMPARE(lib.dangling(), 0);
    }
    static void opened(const fs::path& folder, const std::function<void(Library&)>& look) {
        auto lib = Library::open(folder);
        QVERIFY2(lib, lib ? "" : lib.error().context.c_str());
        look(*lib);
    }

    std::vector<Work> works() {
        const auto library = [](const fs::path& f) { return f / "library"; };
        std::vector<Work> out;
        out.push_back({"import",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           Clip c;
                           c.person = 1, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-20";
                           return lib && lib->clips().add(c, f / "new.mp4");
                       },
                       [=](const fs::path& f, bool killed) {
                           opened(library(f), [&](Library& lib) {
                               const auto n = lib.clips().all()->size();
                               QVERIFY(n == 4 || (killed && n == 3));
                               as_it_was(lib, 2, n);
                           });
                       }});
        out.push_back({"points and letter",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           SentLetter l;
                           l.person = 1, l.clip = 2, l.sent_at = "2026-05-21T10:00:00", l.kind = "pdf", l.body = "{}", l.file = "%PDF";
                           return lib && lib->tracks().begin_attempt(2) && lib->tracks().save_unfinished(2, some_track(), 100) &&
                                  lib->tracks().save(2, some_track()) && lib->tracks().forget_unfinished(2) &&
                                  lib->tracks().end_attempt(2) && lib->letters().keep_sent(l) &&
                                  lib->letters().set_sent(2, "2026-05-21", "pdf");
                       },
                       [=](const fs::path& f, bool killed) {
                           opened(library(f), [&](Library& lib) {
                               as_it_was(lib);
                               QVERIFY(lib.tracks().load(2));
                               QCOMPARE(lib.tracks().load(2)->frames(), std::size_t{500});
                               const auto letters = lib.letters().sent(1)->size();
                               QVERIFY(letters == 2 || (killed && letters == 1));
                           });
                       }});
        out.push_back({"backup",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           return lib && lib->backups().write(f / "backup.tar", "2026-05-22");
                       },
                       [=](const fs::path& f, bool killed) {
                           opened(library(f), [&](Library& lib) { as_it_was(lib); });
                           QVERIFY(!fs::exists(f / "backup.part.tar"));
                           QVERIFY(killed || fs::exists(f / "backup.tar"));
                           if (!fs::exists(f / "backup.tar")) return;
                           QVERIFY(Library::restore(f / "backup.tar", f / "from backup"));
                           opened(f / "from backup", [&](Library& lib) { as_it_was(lib); });
                       }});
        out.push_back({"restore", [=](const fs::path& f) { return Library::restore(f / "whole.tar", f / "restored").has_value(); },
                       [=](const fs::path& f, bool killed) {
                           if (killed && !fs::exists(f / "restored")) QVERIFY(Library::restore(f / "whole.tar", f / "restored"));
                           opened(f / "restored", [&](Library& lib) { as_it_was(lib); });
                       }});
        out.push_back({"bundle out",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           BundleOptions with;
                           with.films = true;
                           return lib && write_bundle(*lib, 2, f / "ilse.zip", with);
                       },
                       [=](const fs::path& f, bool killed) {
                           opened(library(f), [&](Library& lib) {
                               as_it_was(lib);
                               QVERIFY(killed || fs::exists(f / "ilse.zip"));
                               if (fs::exists(f / "ilse.zip")) QVERIFY(read_bundle(lib, f / "ilse.zip"));
                           });
                       }});
        out.push_back({"bundle in",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           return lib && read_bundle(*lib, f / "noor.zip");
                       },
                       [=](const fs::path& f, bool killed) {
                           opened(library(f), [&](Library& lib) {
                               const auto n = lib.people().all()->size();
                               QVERIFY(n == 3 || (killed && n == 2));
                               as_it_was(lib, n, n == 3 ? 5 : 3);
                           });
                       }});
        out.push_back({"erase",
                       [=](const fs::path& f) {
                           auto lib = Library::open(library(f));
                           return lib && lib->people().erase(1);
                       },
                       [=](const fs::path& f, bool killed) {
                           bool gone = false;
                           opened(library(f), [&](Library& lib) {
                               const auto n = lib.people().all()->size();
                               QVERIFY(n == 1 || (killed && n == 2));
                               gone = n == 1;
                               as_it_was(lib, n, gone ? 1 : 3);
                               if (!gone) QVERIFY(lib.people().erase(1)); // and it can be done again
                           });
                           for (const auto& name : files_in(library(f)))
                               QVERIFY2(bytes_of(library(f) / name).find("Noor Haddad") == std::string::npos, name.c_str());
                       }});
        out.push_back({"upgrade", [=](const fs::path& f) { return Library::open(library(f)).has_value(); },
                       [=](const fs::path& f, bool) {
                           opened(library(f), [&](Library& lib) {
                               as_it_was(lib);
                               QCOMPARE(lib.people().all()->front().name.empty(), false);
                               const auto copies = files_in(library(f));
                               QVERIFY(std::any_of(copies.begin(), copies.end(),
                                                   [](const std::string& name) { return name.starts_with("library-version-"); }));
                           });
                       }});
        return out;
    }

    /// The work in a child, killed at that call (0: not); how many calls it made, or nothing where it was killed.
    static std::optional<long> run(const Work& w, const fs::path& folder, long at) {
        int ends[2];
        if (::pipe(ends) != 0) return -1;
        const pid_t child = ::fork();
        if (child == 0) {
            test::end_at(at);
            const bool done = w.does(folder);
            const long n = done ? test::calls_made() : -1;
            test::end_at(0);
            _exit(::write(ends[1], &n, sizeof n) == sizeof n ? 0 : 4);
        }
        ::close(ends[1]);
        long n = -1;
        const auto got = ::read(ends[0], &n, sizeof n);
        ::close(ends[0]);
        int status = 0;
        ::waitpid(child, &status, 0);
        if (WIFSIGNALED(status) && WTERMSIG(status) == SIGKILL) return std::nullopt;
        return got == sizeof n ? n : -1;
    }

    /// The folder as it was before that work.
    fs::path fresh(const std::string& work) const {
        const auto folder = path("now");
        fs::remove_all(folder);
        fs::copy(path("master"), folder, fs::copy_options::recursive);
        if (work == "upgrade") { // as an earlier program left it: some tables less
            sqlite3* db = nullptr;
            sqlite3_open((folder / "library" / "library.sqlite").string().c_str(), &db);
            sqlite3_exec(db,
                         "DROP TABLE seen_round; DROP TABLE assistant; DROP TABLE course; DROP TABLE at_once; DROP TABLE quiet_test; DROP "
                         "TABLE lesson_person; DROP TABLE lesson; DROP "
                         "TABLE class_member; "
                         "DROP TABLE class; "
                         "DROP TABLE own_linked; DROP TABLE pending; PRAGMA user_version=16; ALTER TABLE person DROP COLUMN neutral",
                         nullptr, nullptr, nullptr);
            sqlite3_close(db);
        }
        return folder;
    }

private slots:
    void initTestCase() { make_master(); }

    void killed_before_any_call_data() {
        QTest::addColumn<int>("work");
        const auto all = works();
        for (std::size_t k = 0; k < all.size(); ++k) QTest::newRow(all[k].name) << static_cast<int>(k);
    }
    void killed_before_any_call() {
        QFETCH(int, work);
        const Work w = works()[static_cast<std::size_t>(work)];
        const auto calls = run(w, fresh(w.name), 0);
        QVERIFY2(calls && *calls > 0, w.name);
        w.holds(path("now"), false);
        if (QTest::currentTestFailed()) return;
        const bool every = qEnvironmentVariable("BEVEL_KILLS") == QLatin1String("all");
        std::set<long> at{1, *calls};
        for (int k = 0; k < sampled; ++k) at.insert(1 + (*calls - 1) * k / (sampled - 1));
        for (long k = 1; every && k <= *calls; ++k) at.insert(k);
        int killed = 0;
        for (const long n : at) {
            const auto folder = fresh(w.name);
            const bool was_killed = !run(w, folder, n);
            killed += was_killed;
            w.holds(folder, was_killed);
            if (QTest::currentTestFailed()) {
                qWarning("%s, killed before call %ld of %ld", w.name, n, *calls);
                return;
            }
        }
        QVERIFY2(killed >= static_cast<int>(at.size()) - 1, w.name); // a call more or less in another run
        qInfo("%s: %d kills among %ld calls", w.name, killed, *calls);
    }
};
QTEST_GUILESS_MAIN(TestKills)
#include "test_kills.moc"
