#include "support/synthetic.h"
#include <nlohmann/json.hpp>
#include <QElapsedTimer>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

class TestCli : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const char* n) const { return dir_.filePath(QLatin1String(n)); }
    static int run(const QStringList& args, QString* err = nullptr) {
        QProcess p;
        p.start(QStringLiteral(BEVEL_CLI), args);
        if (!p.waitForFinished(120000)) return -1;
        if (err) *err = QString::fromUtf8(p.readAllStandardError());
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
            found = found || (f["check"] == "shift_complete" && f["verdict"] == "outside");
        }
        QVERIFY(found);
        QCOMPARE(run({"letter", at("r.json"), "-o", at("l.pdf")}), 0);
        QVERIFY(read_text(at("l.pdf").toStdString(), 64U << 20U)->starts_with("%PDF"));
        QCOMPARE(run({"letter", at("r.json"), "-o", at("l.html")}), 0);
        QVERIFY(read_text(at("l.html").toStdString(), 64U << 20U)->find("Pour the weight across until") != std::string::npos);
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
        QCOMPARE(run({"review", at("c.csv"), "--movement", "part_the_horses_mane", "--view", "oblique", "-o", at("r.json")}, &err), 4);
        QVERIFY(err.contains(QLatin1String("obliquely")));
        QCOMPARE(run({"movements"}), 0);
        QCOMPARE(run({"measures"}), 0);
    }
};
QTEST_GUILESS_MAIN(TestCli)
#include "test_cli.moc"
