#include "core/files.h"
#include "core/practice/course.h"
#include "core/review/points_csv.h"
#include "store/library.h"
#include "support/synthetic.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QElapsedTimer>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <set>

using namespace bevel;

class TestCli : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const char* n) const { return dir_.filePath(QLatin1String(n)); }
    static int run(const QStringList& args, QString* err = nullptr, QString* out = nullptr) {
        QProcess p;
        p.start(QStringLiteral(BEVEL_CLI), args);
        if (!p.waitForFinished(120000)) return -1;
        if (err) *err = QString::fromUtf8(p.readAllStandardError());
        if (out) *out = QString::fromUtf8(p.readAllStandardOutput());
        return p.exitCode();
    }

private slots:
    void from_simulation_to_letter() {
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--fault", "shift_incomplete=0.3", "--view", "front", "--repetitions",
                      "1", "--truth", at("t.csv")}),
                 0);
        QCOMPARE(run({"review", at("t.csv"), "--movement", "gaze_at_the_moon", "--view", "3d", "-o", at("r.json")}), 0);
        const auto j = nlohmann::json::parse(*read_text(at("r.json").toStdString(), 200U << 20U));
        for (const char* key : {"clip", "movement", "view", "measures", "events", "repetitions", "findings"})
            QVERIFY2(j.contains(key), key);
        QCOMPARE(j["view"].get<std::string>(), std::string("3d"));
        QCOMPARE(j["repetitions"].size(), std::size_t{2});
        bool found = false;
        for (const auto& f : j["findings"]) {
            for (const char* key : {"rule", "measure", "side", "phase", "repetitions", "value", "sigma", "band", "unit", "verdict",
                                    "severity", "time_s", "cue"})
                QVERIFY2(f.contains(key), key);
            found = found || (f["check"] == "shift_arrives" && f["verdict"] == "outside");
        }
        QVERIFY(found);
        QCOMPARE(run({"letter", at("r.json"), "-o", at("l.pdf")}), 0);
        QVERIFY(read_text(at("l.pdf").toStdString(), 64U << 20U)->starts_with("%PDF"));
        QCOMPARE(run({"letter", at("r.json"), "-o", at("l.html")}), 0);
        QVERIFY(read_text(at("l.html").toStdString(), 64U << 20U)->find("Pour the weight across until") != std::string::npos);
    }
    void a_plan_is_made_from_a_file_of_needs() {
        const auto needs = at("needs.json").toStdString();
        QVERIFY(write_whole(needs, R"({"minutes": 20, "limits": ["no_balance"], "wanted": ["open_and_close"], "seed": 5})"));
        QString out;
        QCOMPARE(run({"plan", at("needs.json"), "-o", at("plan.json")}, nullptr, &out), 0);
        QVERIFY(out.contains(QStringLiteral("min")));
        const auto text = read_text(at("plan.json").toStdString(), 1U << 20U);
        const auto plan = parse_plan(*text);
        QVERIFY(plan);
        QVERIFY(std::abs(plan->total_s() - 20 * 60) < 61);
        QVERIFY(std::any_of(plan->items.begin(), plan->items.end(), [](const PlanItem& i) { return i.movement == "open_and_close"; }));
        QCOMPARE(run({"plan", at("needs.json"), "-o", at("again.json")}), 0);
        QCOMPARE(*read_text(at("again.json").toStdString(), 1U << 20U), *text); // the same needs, the same plan
        QVERIFY(write_whole(needs, R"({"minutes": 20, "limitz": []})"));
        QString err;
        QCOMPARE(run({"plan", at("needs.json"), "-o", at("none.json")}, &err), 3);
        QVERIFY2(err.contains(QStringLiteral("limitz")), qPrintable(err));
        QVERIFY(!QFile::exists(at("none.json")));
        QCOMPARE(run({"plan", at("needs.json"), "-o", at("none.json"), "--person", "Noor"}), 2);
        QCOMPARE(run({"plan", at("not there.json"), "-o", at("none.json")}), 3);
    }

    void a_course_is_made_slid_and_exported() {
        const auto needs = at("course needs.json").toStdString();
        QVERIFY(write_whole(needs, R"({"wanted": ["gaze_at_the_moon", "part_the_horses_mane"], "limits": ["no_overhead"],
            "course": {"from": "2026-12-07", "weeks": 6, "lessons": 1, "lesson_minutes": 40, "home_days": 2, "home_minutes": 12}})"));
        QString out;
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("c.json"), "--html", at("c.html"), "--ics", at("c.ics"), "--title",
                      "Evenings <i>%1</i> & more", "--at", "19:30"},
                     nullptr, &out),
                 0);
        QVERIFY(out.contains(QStringLiteral("Gaze at the Moon")) && out.contains(QStringLiteral("recall")));
        const auto course = parse_course(*read_text(at("c.json").toStdString(), 1U << 20U));
        QVERIFY(course && course->weeks.size() == 6);
        const auto page = QString::fromStdString(*read_text(at("c.html").toStdString(), 1U << 20U));
        QVERIFY(page.contains(QStringLiteral("Evenings &lt;i&gt;%1&lt;/i&gt; &amp; more")));
        QCOMPARE(page.count(QStringLiteral("<section>")), 6);
        QCOMPARE(page.count(QStringLiteral("A day at home")), 6);
        QVERIFY(page.contains(QStringLiteral("2 rounds"))); // a thing is named once a day
        QVERIFY(!page.contains(QStringLiteral("time(s)")) && !page.contains(QStringLiteral("round 2 of")));
        for (const char* from_elsewhere :
             {"http:", "https:", "src=", "<script", "no_overhead"}) // it needs nothing else, and tells no limit
            QVERIFY2(!page.contains(QLatin1String(from_elsewhere)), from_elsewhere);
        const auto calendar = QString::fromStdString(*read_text(at("c.ics").toStdString(), 1U << 20U));
        QCOMPARE(calendar.count(QStringLiteral("BEGIN:VEVENT")), 6 * 3);
        QVERIFY(calendar.contains(QStringLiteral("DTSTART:20261207T193000")));
        // The second week is missed: it becomes a week longer, and nothing of that week stands in page or calendar.
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("slid.json"), "--so-far", at("c.json"), "--now", "3", "--missed", "2",
                      "--html", at("slid.html"), "--ics", at("slid.ics")}),
                 0);
        const auto slid = parse_course(*read_text(at("slid.json").toStdString(), 1U << 20U));
        QVERIFY(slid && slid->weeks.size() == 7 && slid->weeks[1].missed);
        QCOMPARE(QString::fromStdString(*read_text(at("slid.html").toStdString(), 1U << 20U)).count(QStringLiteral("A day at home")), 6);
        QCOMPARE(QString::fromStdString(*read_text(at("slid.ics").toStdString(), 1U << 20U)).count(QStringLiteral("BEGIN:VEVENT")), 6 * 3);
        // Wrong use and wrong files say what is wrong, and leave nothing behind.
        QString err;
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json"), "--now", "3"}), 2);
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json"), "--so-far", at("c.json"), "--now", "3", "--missed", "3"}),
                 2);
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json"), "--at", "late"}), 2);
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json"), "--so-far", at("course needs.json"), "--now", "3"}), 3);
        for (const char* bad :
             {R"({"wanted": []})", R"({"course": {"from": "2026-12-07", "weeks": 40}})", R"({"course": {"from": 7}})",
              R"({"course": {"from": "2026-12-07", "weekz": 6}})", R"({"limitz": [], "course": {"from": "2026-12-07"}})"}) {
            QVERIFY(write_whole(needs, bad));
            QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json")}, &err), 3);
        }
        QVERIFY(write_whole(needs, R"({"course": {"from": "2026-02-30"}})"));
        QCOMPARE(run({"course", at("course needs.json"), "-o", at("none.json")}, &err), 4);
        QVERIFY2(err.contains(QStringLiteral("from")), qPrintable(err));
        QVERIFY(!QFile::exists(at("none.json")));
    }

    void a_library_is_looked_after_without_a_window() {
        const QString folder = at("library");
        {
            auto lib = *Library::open(folder.toStdString());
            Person p;
            p.name = "Noor Haddad";
            const auto id = *lib.people().add(p);
            QVERIFY(write_whole(at("film.mp4").toStdString(), std::string(4000, 'f')));
            Clip c;
            c.person = id, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-05-10";
            QVERIFY(lib.clips().add(c, at("film.mp4").toStdString()));
            Agreement a;
            a.person = id, a.check = "limit.seated", a.off = true, a.reason = "after a fall";
            QVERIFY(lib.decisions().save_agreement(a));
        }
        QString out, err;
        QCOMPARE(run({"library", "people", folder}, nullptr, &out), 0);
        QCOMPARE(out, QStringLiteral("1\tNoor Haddad\t1\t2026-05-10\n"));
        QCOMPARE(run({"library", "search", folder, "noor", "open"}, nullptr, &out), 0);
        QVERIFY2(out.contains(QStringLiteral("open_and_close")), qPrintable(out));
        QCOMPARE(run({"library", "search", folder, "nobody"}, nullptr, &out), 0);
        QVERIFY(out.isEmpty());
        QCOMPARE(run({"library", "check", folder}, nullptr, &out), 0);
        QVERIFY(out.contains(QStringLiteral("films whole 1")));
        // A plan for her is a seated one.
        QVERIFY(write_whole(at("n.json").toStdString(), R"({"minutes": 15})"));
        QCOMPARE(run({"plan", at("n.json"), "-o", at("p.json"), "--library", folder, "--person", "Noor Haddad"}), 0);
        const auto plan = parse_plan(*read_text(at("p.json").toStdString(), 1U << 20U));
        QCOMPARE(plan->person, std::string("Noor Haddad"));
        for (const auto& i : plan->items)
            QVERIFY2(i.part == PlanPart::settling || i.movement.starts_with("seated") || !i.version.empty(), i.movement.c_str());
        QCOMPARE(run({"plan", at("n.json"), "-o", at("p.json"), "--library", folder, "--person", "Nobody"}), 2);
        // Out and in again.
        QCOMPARE(run({"library", "backup", folder, "-o", at("b.tar")}, nullptr, &out), 0);
        QVERIFY(out.contains(QStringLiteral("films 1")));
        QCOMPARE(run({"library", "restore", at("b.tar"), "-o", at("back")}), 0);
        QCOMPARE(run({"library", "people", at("back")}, nullptr, &out), 0);
        QVERIFY(out.contains(QStringLiteral("Noor Haddad")));
        QCOMPARE(run({"library", "restore", at("b.tar"), "-o", at("back")}), 2); // the folder is not empty
        QCOMPARE(run({"library", "bundle", folder, "--person", "Noor Haddad", "--films", "-o", at("noor.zip")}), 0);
        QCOMPARE(run({"library", "import", at("back"), at("noor.zip")}), 0);
        QCOMPARE(run({"library", "people", at("back")}, nullptr, &out), 0);
        QCOMPARE(out.count(QLatin1Char('\n')), 2);
        // Said with its own code: what is no clip, no library, no person, in use, damaged.
        QCOMPARE(run({"library", "import", folder, at("film.mp4")}, &err), 3);
        QCOMPARE(run({"library", "bundle", folder, "--person", "Nobody", "-o", at("x.zip")}), 2);
        QCOMPARE(run({"library", "check"}), 2);
        QCOMPARE(run({"library", "burn", folder}), 2);
        {
            const auto held = Library::open(folder.toStdString());
            QVERIFY(held);
            QCOMPARE(run({"library", "backup", folder, "-o", at("c.tar")}, &err), 3);
            QVERIFY2(err.contains(QStringLiteral("in use")), qPrintable(err));
        }
        QVERIFY(write_whole((folder + "/clips/film.mp4").toStdString(), std::string(4000, 'g')));
        QCOMPARE(run({"library", "check", folder}, nullptr, &out), 3);
        QVERIFY(out.contains(QStringLiteral("damaged film.mp4")));
        QCOMPARE(run({"library", "backup", folder, "-o", at("c.tar")}), 3);
        QVERIFY(!QFile::exists(at("c.tar")));
        QCOMPARE(run({"library", "backup", folder, "-o", at("c.tar"), "--without-damaged"}), 0);
    }

    void what_cannot_be_written_is_said_with_its_own_code_and_leaves_the_old_file() {
        QString err;
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--repetitions", "1", "--truth", at("w.csv")}), 0);
        const QStringList review{"review", at("w.csv"), "--movement", "gaze_at_the_moon", "--view", "3d", "-o"};
        QCOMPARE(run(review + QStringList{at("w.json")}), 0);
        for (const QString& where : {QStringLiteral("/dev/full"), at("no such folder/x.json")}) {
            QCOMPARE(run(review + QStringList{where}, &err), 1);
            QVERIFY2(err.startsWith(QLatin1String("cannot write")), qPrintable(err));
        }
        QCOMPARE(run({"letter", at("w.json"), "-o", at("no such folder/l.pdf")}), 1);
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--truth", QStringLiteral("/dev/full")}), 1);
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--to", "1", "-o", at("no such folder/c.mp4")}), 1);
        QCOMPARE(run(review + QStringList{QStringLiteral("/dev/null")}), 0); // a device is written to as it is
        QVERIFY(!QFile::exists(QStringLiteral("/dev/null.part")));
        // A clip that was broken off leaves nothing.
        QCOMPARE(run({"simulate", "--movement", "no such movement", "-o", at("c.mp4")}), 2);
        // A fault that changes nothing is refused, and nothing is written.
        QVERIFY(run({"simulate", "--movement", "separate_the_clouds", "--fault", "knee_past_toe=12", "--truth", at("none.csv")}) != 0);
        QVERIFY(!QFile::exists(at("none.csv")));
        // What is written of people is for its owner alone.
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--repetitions", "1", "--truth", at("own.csv")}), 0);
        QCOMPARE(QFile::permissions(at("own.csv")) & (QFile::ReadGroup | QFile::WriteGroup | QFile::ReadOther | QFile::WriteOther),
                 QFile::Permissions());
        QVERIFY(!QFile::exists(at("c.mp4")) && !QFile::exists(at("c.part.mp4")));
    }
    void a_graded_version_is_performed_and_judged() {
        const QString easier = QStringLiteral("brush_and_push/Arms only");
        QCOMPARE(run({"simulate", "--movement", easier, "--repetitions", "1", "--truth", at("v.csv")}), 0);
        QCOMPARE(run({"review", at("v.csv"), "--movement", easier, "--view", "3d", "-o", at("v.json")}), 0);
        const auto j = nlohmann::json::parse(*read_text(at("v.json").toStdString(), 200U << 20U));
        QCOMPARE(j["repetitions"].size(), std::size_t{2});
        for (const auto& f : j["findings"]) {
            QVERIFY(f["check"] != "bow_length"); // there is no step in it
            QVERIFY2(f["verdict"] != "outside", f["check"].get<std::string>().c_str());
        }
        QString err;
        QCOMPARE(run({"review", at("v.csv"), "--movement", "brush_and_push/Flying", "--view", "3d", "-o", at("x.json")}, &err), 2);
        QVERIFY2(err.contains(QStringLiteral("Arms only")), qPrintable(err));
    }
    void a_linked_form_is_performed_and_seen_whole() {
        QCOMPARE(run({"forms", "follow_step_six"}), 0);
        QCOMPARE(run({"simulate", "--form", "follow_step_six", "--fault", "head_forward=9", "--in", "3", "--truth", at("form.csv")}), 0);
        QCOMPARE(run({"review", at("form.csv"), "--form", "follow_step_six", "--view", "3d", "-o", at("form.json")}), 0);
        const auto j = nlohmann::json::parse(*read_text(at("form.json").toStdString(), 200U << 20U));
        QCOMPARE(j["form"], "follow_step_six");
        QCOMPARE(j["parts"].size(), std::size_t{6});
        for (const auto& p : j["parts"]) {
            QVERIFY(p["how"] == "done");
            for (const auto& f : p["findings"])
                if (f["verdict"] == "outside") QVERIFY(p["part"] == 3);
        }
        QVERIFY(!j["remarks"].empty());
        QString err;
        QCOMPARE(run({"review", at("form.csv"), "--form", "no_such_form", "-o", at("x.json")}, &err), 3);
        QCOMPARE(run({"simulate", "--form", "follow_step_six", "--in", "7"}, &err), 2);
        QCOMPARE(run({"review", at("form.csv"), "--form", "follow_step_six", "--movement", "walk_forward", "-o", at("x.json")}, &err), 2);
    }
    /// A turning form is seen by one camera from the place where all of it is in the picture, and each part from its own side.
    void a_turning_form_is_reviewed_from_one_camera() {
        QCOMPARE(run({"simulate", "--form", "walk_turn_walk_back", "--view", "front", "--truth", at("turn.csv")}), 0);
        QCOMPARE(run({"review", at("turn.csv"), "--form", "walk_turn_walk_back", "--view", "front", "-o", at("turn.json")}), 0);
        const auto j = nlohmann::json::parse(*read_text(at("turn.json").toStdString(), 200U << 20U));
        std::set<std::string> views;
        for (const auto& p : j["parts"]) {
            QCOMPARE(p["how"].get<std::string>(), std::string("done"));
            views.insert(p["view"].get<std::string>());
        }
        QVERIFY(views.contains("front") && views.size() >= 2);
    }
    void a_quiet_test_is_counted() {
        QCOMPARE(run({"simulate", "--movement", "heel_raise_and_drop", "--repetitions", "2", "--view", "left", "--truth", at("heels.csv")}),
                 0);
        QString out, err;
        QCOMPARE(run({"quiet-test", "heel_raises", at("heels.csv"), "--view", "left", "--height-cm", "170"}, nullptr, &out), 0);
        const auto j = nlohmann::json::parse(out.toStdString());
        QCOMPARE(j["test"], "heel_raises");
        QCOMPARE(j["figures"][0]["id"], "raises");
        QVERIFY(j["figures"][0]["value"].get<double>() >= 2 && j["figures"][0]["sigma"] == 0.0 && !j["figures"][0].contains("unit"));
        QVERIFY(j["to_s"].get<double>() > j["from_s"].get<double>() && j["notes"].empty());
        QCOMPARE(run({"quiet-test", "heel_raises", at("heels.csv"), "--support", "all", "-o", at("test.json")}), 0);
        QCOMPARE(nlohmann::json::parse(*read_text(at("test.json").toStdString(), 1U << 20U))["notes"][0], "supported");
        QCOMPARE(run({"quiet-test", "sit_to_stand", at("heels.csv")}, &err), 4);
        QVERIFY2(err.contains(QLatin1String("does not show")), qPrintable(err));
        QCOMPARE(run({"quiet-test", "squats", at("heels.csv")}), 2);
        QCOMPARE(run({"quiet-test", "heel_raises"}), 2);
        QCOMPARE(run({"quiet-test", "heel_raises", at("heels.csv"), "--support", "5-2"}), 2);
        QCOMPARE(run({"quiet-test", "heel_raises", at("not there.csv")}), 3);
    }
    void a_hand_on_a_chair_is_told_in_the_review() {
        QCOMPARE(run({"simulate", "--movement", "part_the_horses_mane", "--repetitions", "1", "--truth", at("s.csv")}), 0);
        QCOMPARE(run({"review", at("s.csv"), "--movement", "part_the_horses_mane", "--view", "3d", "--support", "all", "-o", at("s.json")}),
                 0);
        const auto j = nlohmann::json::parse(*read_text(at("s.json").toStdString(), 200U << 20U));
        int told = 0;
        for (const auto& f : j["findings"])
            if (f["rule"] == "W6") {
                QCOMPARE(f["absent_reason"].get<std::string>(), std::string("supported"));
                ++told;
            }
        QVERIFY(told > 0);
        for (const char* bad : {"3", "5-2", "a-b", "1-"}) {
            QString err;
            QCOMPARE(
                run({"review", at("s.csv"), "--movement", "part_the_horses_mane", "--view", "3d", "--support", bad, "-o", at("x.json")},
                    &err),
                2);
            QVERIFY2(err.contains(QStringLiteral("--support")), qPrintable(err));
        }
    }
    void a_clip_is_tracked_reviewed_and_becomes_a_letter_with_pictures() {
        QCOMPARE(run({"simulate",
                      "--movement",
                      "separate_the_clouds",
                      "--fault",
                      "lean_side.left=14",
                      "--view",
                      "front",
                      "--repetitions",
                      "1",
                      "--fps",
                      "8",
                      "--size",
                      "640x480",
                      "--to",
                      "14",
                      "--distance",
                      "5",
                      "-o",
                      at("c.webm"),
                      "--truth",
                      at("c.csv")}),
                 0);
        QCOMPARE(run({"track", at("c.webm"), "--model", "lite", "-o", at("p.csv")}), 0);
        const auto found = read_points(at("p.csv").toStdString()), truth = read_points(at("c.csv").toStdString());
        QVERIFY(found.has_value() && truth.has_value());
        QCOMPARE(found->frames(), truth->frames());
        QCOMPARE(found->width, 640); // kept beside the points
        double off = 0;
        for (std::size_t i = 0; i < found->frames(); ++i)
            for (const Point p : {left_shoulder, right_hip, left_ankle})
                off += std::hypot((*found->px[i])[p].x - (*truth->px[i])[p].x, (*found->px[i])[p].y - (*truth->px[i])[p].y);
        QVERIFY(off / (3.0 * static_cast<double>(found->frames())) < 8);
        QCOMPARE(run({"review", at("p.csv"), "--movement", "separate_the_clouds", "--height-cm", "170", "-o", at("p.json")}), 0);
        const auto j = nlohmann::json::parse(*read_text(at("p.json").toStdString(), 200U << 20U));
        QCOMPARE(j["view"].get<std::string>(), std::string("front")); // told from the points
        bool found_lean = false;
        for (const auto& f : j["findings"]) found_lean = found_lean || (f["measure"] == "trunk.side" && f["verdict"] == "outside");
        QVERIFY(found_lean);
        // Absent figures are null, with the reason beside them.
        QCOMPARE(j["measures"]["trunk.lean"]["absent_reason"].get<std::string>(), std::string("view"));
        for (const auto& v : j["measures"]["trunk.lean"]["value"]) QVERIFY(v.is_null());
        QCOMPARE(run({"letter", at("p.json"), "-o", at("p.html")}), 0);
        QVERIFY(read_text(at("p.html").toStdString(), 64U << 20U)->find("data:image/png") != std::string::npos);
    }
    void a_mirrored_points_file_is_undone_and_the_ground_is_told() {
        // The same performance filmed plainly and mirrored: the same sides in the findings' repetitions.
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--view", "front", "--repetitions", "1", "--truth", at("plain.csv")}),
                 0);
        auto t = *read_points(at("plain.csv").toStdString());
        for (auto& f : t.m) f.reset();
        t.width = 1280;
        t.height = 720;
        QVERIFY(write_whole(at("p.csv").toStdString(), points_csv(t)).has_value());
        QVERIFY(write_whole(at("p.camera.json").toStdString(), camera_json(t)).has_value());
        Track flipped = t;
        for (auto& f : flipped.px) {
            const BodyPx b = *f;
            for (int k = 0; k < point_count; ++k) {
                auto q = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
                q.x = 1280 - q.x;
                (*f)[static_cast<std::size_t>(k)] = q;
            }
        }
        QVERIFY(write_whole(at("m.csv").toStdString(), points_csv(flipped)).has_value());
        QVERIFY(write_whole(at("m.camera.json").toStdString(), camera_json(flipped)).has_value());
        QCOMPARE(run({"review", at("p.csv"), "--movement", "gaze_at_the_moon", "--height-cm", "170", "-o", at("p.json")}), 0);
        QCOMPARE(run({"review", at("m.csv"), "--movement", "gaze_at_the_moon", "--height-cm", "170", "--mirrored", "-o", at("m.json")}), 0);
        const auto a = nlohmann::json::parse(*read_text(at("p.json").toStdString(), 200U << 20U)),
                   b = nlohmann::json::parse(*read_text(at("m.json").toStdString(), 200U << 20U));
        QCOMPARE(a["repetitions"].size(), b["repetitions"].size());
        for (std::size_t i = 0; i < a["repetitions"].size(); ++i)
            QCOMPARE(a["repetitions"][i]["side"].get<std::string>(), b["repetitions"][i]["side"].get<std::string>());
        const auto& ground = a["ground"];
        for (const char* key : {"camera", "facing_sigma_deg", "scale_from", "shoulder_width_m", "neutral", "vertical_known", "floor_known"})
            QVERIFY2(ground.contains(key), key);
        QCOMPARE(ground["scale_from"].get<std::string>(), std::string("stated"));
        QCOMPARE(ground["vertical_known"].get<bool>(), false); // nothing in a bare points file tells it
        QCOMPARE(ground["camera"]["focal_px"]["from"].get<std::string>(), std::string("assumed"));
        bool flat = false, onset = false;
        for (const auto& e : a["events"]) {
            flat = flat || e["event"] == "shift_end";
            onset = onset || e["event"] == "shift";
        }
        QVERIFY(flat && onset); // the event stream, and the first contract's entry beside it
        QCOMPARE(run({"review", at("p.csv"), "--movement", "gaze_at_the_moon", "--mirrored=yes", "-o", at("x.json")}), 2);
    }
    void equal_seeds_give_equal_truth_and_a_stop_is_obeyed() {
        for (const char* name : {"a.csv", "b.csv"})
            QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--seed", "9", "--repetitions", "1", "--truth", at(name)}), 0);
        QCOMPARE(*read_text(at("a.csv").toStdString(), 64U << 20U), *read_text(at("b.csv").toStdString(), 64U << 20U));
        QProcess p;
        p.start(QStringLiteral(BEVEL_CLI), {"simulate", "--movement", "gaze_at_the_moon", "-o", at("long.mp4")});
        QVERIFY(p.waitForStarted(10000));
        QTest::qWait(1500);
        p.terminate();
        QVERIFY(p.waitForFinished(20000));
        QCOMPARE(p.exitCode(), 130);
    }
    void exit_codes() {
        QString err;
        QCOMPARE(run({}), 2);
        QCOMPARE(run({"nonsense"}), 2);
        QCOMPARE(run({"simulate", "--movement", "nothing"}, &err), 2);
        QVERIFY(err.contains(QLatin1String("movements")));
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--fault", "wings=3"}), 2);
        QCOMPARE(run({"simulate", "--movement", "gaze_at_the_moon", "--fps", "nine"}), 2);
        QCOMPARE(run({"track", at("missing.mp4"), "-o", at("p.csv")}), 3);
        QCOMPARE(run({"review", at("missing.csv"), "--movement", "gaze_at_the_moon", "-o", at("r.json")}), 3);
        QCOMPARE(run({"simulate", "--movement", "separate_the_clouds", "--repetitions", "1", "--truth", at("c.csv")}), 0);
        QCOMPARE(run({"simulate", "--movement", "separate_the_clouds", "--repetitions", "1", "--to", "0.2", "--truth", at("d.csv")}), 0);
        QCOMPARE(run({"review", at("d.csv"), "--movement", "part_the_horses_mane", "--view", "front", "-o", at("r.json")}, &err), 4);
        QVERIFY(err.contains(QLatin1String("short")));
        QCOMPARE(run({"movements"}), 0);
        QCOMPARE(run({"measures"}), 0);
    }
};
QTEST_GUILESS_MAIN(TestCli)
#include "test_cli.moc"
