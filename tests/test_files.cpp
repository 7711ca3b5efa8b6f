// Movement, school and rule files that are broken in one place each: refused with that place and the reason, never read half.
#include "core/movement/movement.h"
#include "support/synthetic.h"
#include <nlohmann/json.hpp>
#include <QTest>

using namespace bevel;
using nlohmann::json;

class TestFiles : public QObject {
    Q_OBJECT

    static json shipped(const std::string& kind) {
        const auto dir = test::data_dir();
        const auto file = kind == "school"  ? dir / "schools/inclined.json"
                          : kind == "rules" ? dir / "rules.json"
                                            : dir / "movements/brush_and_push.json";
        return json::parse(*read_text(file, 1 << 21));
    }
    static std::optional<Error> error_of(const std::string& kind, const std::string& text) {
        auto of = [](const auto& r) { return r ? std::nullopt : std::optional(r.error()); };
        if (kind == "school") return of(parse_school(text));
        if (kind == "rules") return of(parse_rules(text));
        return of(parse_movement(text));
    }

private slots:
    void what_is_shipped_is_read() {
        for (const char* kind : {"movement", "school", "rules"}) QVERIFY2(!error_of(kind, shipped(kind).dump()), kind);
    }
    void one_broken_place_is_said_data() {
        QTest::addColumn<QString>("kind");
        QTest::addColumn<QString>("at");      // JSON pointer
        QTest::addColumn<QString>("becomes"); // JSON; empty: taken away
        QTest::addColumn<QString>("says");
        auto row = [n = 0](const char* kind, const char* at, const char* becomes, const char* says) mutable {
            QTest::addRow("%d %s %s", n++, kind, at)
                << QString::fromLatin1(kind) << QString::fromLatin1(at) << QString::fromLatin1(becomes) << QString::fromLatin1(says);
        };
        auto m = [&](const char* at, const char* becomes, const char* says) { row("movement", at, becomes, says); };
        // The whole
        m("/id", "", "id");
        m("/id", "\"Brush And Push\"", "id 'Brush And Push'");
        m("/id", "7", "id");
        m("/name", "\"\"", "name");
        m("/kind", "", "kind");
        m("/about", "[]", "about");
        m("/driver", "\"stance.lenght\"", "driver: measure 'stance.lenght' is not known");
        m("/best_views", "[]", "best_views");
        m("/best_views", "[\"above\"]", "best_views");
        m("/repetitions", "0", "repetitions");
        m("/repetitions", "\"two\"", "repetitions");
        m("/stance", "\"sumo\"", "stance 'sumo' is not known");
        m("/trains", "[\"legs\", \"patience\"]", "trains: 'patience' is not known");
        m("/attention", "[\"\"]", "attention");
        m("/asks/knees", "9", "knees");
        m("/asks/heart", "1", "'heart' is not known here");
        m("/needs", "[\"wings\"]", "needs: 'wings' is not known");
        m("/cautions", "[\"sharks\"]", "cautions: 'sharks' is not known");
        m("/drill", "[]", "'drill' is not known here");
        m("/drills/0/rules", "[\"Z9\"]", "drill Step without arms: rule is not known");
        m("/drills/0/rules", "[]", "drill Step without arms: rules");
        m("/versions/0/about", "", "about");
        m("/tool", "{\"front\": 5}", "front");
        m("/tool", "{\"lenght\": 0.2}", "'lenght' is not known here");
        // Its own bands
        m("/bands", "[{\"rule\": \"Z1\", \"off\": true, \"reason\": \"r\"}]", "bands: rule 'Z1' is not known");
        m("/bands", "[{\"measure\": \"mood\", \"low\": 1, \"reason\": \"r\"}]", "bands: measure 'mood' is not known");
        m("/bands", "[{\"rule\": \"S1\", \"low\": 3, \"high\": 1, \"reason\": \"r\"}]", "bands: low 3.000000 is above high");
        m("/bands", "[{\"rule\": \"S1\", \"low\": 3}]", "bands: reason");
        m("/bands", "[{\"rule\": \"S1\", \"low\": 3, \"reason\": \"\"}]", "bands: reason");
        m("/bands", "[{\"rule\": \"S1\", \"reason\": \"r\"}]", "bands: a change of nothing");
        m("/bands", "[{\"rule\": \"S1\", \"off\": \"yes\", \"reason\": \"r\"}]", "bands: off");
        m("/bands", "[{\"rule\": \"S1\", \"hgih\": 3, \"reason\": \"r\"}]", "bands: 'hgih' is not known here");
        // Where it begins
        m("/home", "", "home");
        m("/home/weight_left", "1.4", "home: weight_left");
        m("/home/depth", "0.1", "home: depth");
        m("/home/left_foot/contact", "\"tiptoe\"", "home: left_foot: contact 'tiptoe'");
        m("/home/left_foot/x", "\"wide\"", "home: left_foot: x");
        m("/home/left_hand/level", "\"knee\"", "home: left_hand: level 'knee'");
        m("/home/right_hand/palm", "400", "home: right_hand: palm");
        m("/home/right_hand/fist", "2", "home: right_hand: fist");
        m("/home/left_arm", "{}", "home: 'left_arm' is not known here");
        m("/home/low_back", "90", "home: low_back");
        // Its phases
        m("/phases", "[]", "phases");
        m("/phases", "{}", "phases");
        m("/phases/1/id", "\"gather\"", "phase gather: there twice");
        m("/phases/1/id", "\"Lift!\"", "id 'Lift!'");
        m("/phases/1/name", "", "phase lift: name");
        m("/phases/1/role", "\"dance\"", "phase lift: role 'dance' is not known");
        m("/phases/1/stance", "\"lotus\"", "phase lift: stance 'lotus' is not known");
        m("/phases/1/duration_s", "-1", "phase lift: duration_s");
        m("/phases/1/duration_s", "", "phase lift: duration_s");
        m("/phases/1/breath", "\"hold\"", "phase lift: breath 'hold'");
        m("/phases/1/easing", "\"bouncy\"", "phase lift: easing 'bouncy'");
        m("/phases/1/ends_at", "\"noon\"", "phase lift: ends_at 'noon'");
        m("/phases/1/posture", "", "phase lift: posture");
        m("/phases/1/posture/left_foot/lift", "3", "phase lift: left_foot: lift");
        m("/phases/1/posture/left_foot/contact", "\"flat\"", "phase lift: a foot slides over the floor");
        m("/phases/1/posture/right_foot", "{\"contact\": \"off\"}", "phase lift: both feet off the floor");
        m("/phases/0/posture/right_foot", "{\"heel_turn\": 20, \"ball_turn\": 10}", "phase gather: a foot turns on heel and ball at once");
        m("/phases/1/exceptions", "[{\"rule\": \"S1\", \"off\": true}]", "phase lift: exceptions: reason");
        m("/phases/1/tempo", "1", "phase lift: 'tempo' is not known here");
        m("/phases/9/posture/left_foot", "{\"z\": 0.4, \"contact\": \"flat\"}", "phase close: a foot slides over the floor");
        // What a movement was learned from
        m("/recorded", R"({"clips": ["a"], "repetitions": 2, "lead": "up", "spread": []})", "recorded: lead 'up'");
        m("/recorded", R"({"clips": [3], "repetitions": 2, "lead": "left", "spread": []})", "recorded: clips");
        m("/recorded", R"({"clips": [], "repetitions": 0, "lead": "left", "spread": []})", "recorded: repetitions");
        m("/recorded", R"({"clips": [], "repetitions": 2, "lead": "left"})", "recorded: spread");
        m("/recorded",
          R"({"clips": [], "repetitions": 2, "lead": "left", "spread": [{"phase": "lift", "measure": "elbow.wit", "mean": 1, "sd": 1, "n": 2}]})",
          "recorded: measure 'elbow.wit' is not known");
        m("/recorded",
          R"({"clips": [], "repetitions": 2, "lead": "left", "spread": [{"phase": "lift", "measure": "trunk.lean", "mean": 1, "sd": -1, "n": 2}]})",
          "recorded: sd");
        // Schools
        auto s = [&](const char* at, const char* becomes, const char* says) { row("school", at, becomes, says); };
        s("/id", "\"a b\"", "id 'a b'");
        s("/name", "", "name");
        s("/changes", "{}", "changes");
        s("/change", "[]", "'change' is not known here");
        s("/changes/0/reason", "", "changes: reason");
        s("/changes/0/stance", "\"arrow\"", "changes: stance 'arrow' is not known");
        s("/changes/0/role", "\"leap\"", "changes: role 'leap' is not known");
        s("/changes/0/low", "\"ten\"", "changes: low");
        s("/changes/0/low", "40", "changes: low 40.000000 is above high");
        s("/changes/0/bend/lean", "100", "changes: lean");
        s("/changes/0/bend/toe_out", "90", "changes: toe_out");
        s("/changes/0/bend/twist", "3", "changes: 'twist' is not known here");
        s("/changes/0/phases", "[1]", "changes: phases");
        // Rules
        auto r = [&](const char* at, const char* becomes, const char* says) { row("rules", at, becomes, says); };
        r("/rules/0/severity", "\"grave\"", "grave");
        r("/rules/0/checks/0/form", "\"guess\"", "form 'guess'");
        r("/rules/0/checks/0/measure", "\"stance.hight\"", "measure 'stance.hight'");
        r("/rules/0/checks/0/stances/split", "[0, 1]", "stances: 'split' is not known");
        r("/rules/0/checks/0/stances/hip", "[2, 1]", "band");
        r("/rules/0/checks/0/cues/low", "", "cues: low");
        r("/rules/0/causes", "[\"Z9\"]", "'Z9' is not a rule");
        r("/rules/0/checks/0/matters", "-4", "matters");
    }
    void one_broken_place_is_said() {
        QFETCH(QString, kind);
        QFETCH(QString, at);
        QFETCH(QString, becomes);
        QFETCH(QString, says);
        json j = shipped(kind.toStdString());
        const json::json_pointer pointer(at.toStdString());
        if (becomes.isEmpty())
            j.at(pointer.parent_pointer()).erase(pointer.back());
        else
            j[pointer] = json::parse(becomes.toStdString());
        const auto error = error_of(kind.toStdString(), j.dump());
        QVERIFY2(error.has_value(), "it was read");
        QVERIFY2(error->code == Code::bad_value, error->context.c_str());
        QVERIFY2(error->context.find(says.toStdString()) != std::string::npos, error->context.c_str());
    }
    void damaged_text_is_refused_and_never_read_half() {
        const std::string good = shipped("movement").dump();
        for (std::size_t cut = 0; cut < good.size(); cut += 97) QVERIFY(error_of("movement", good.substr(0, cut)));
        for (std::size_t i = 0; i < good.size(); i += 61) {
            std::string bad = good;
            bad[i] = '\x01';
            QVERIFY(error_of("movement", bad)); // a control character is nowhere allowed
        }
        QVERIFY(error_of("movement", "[]") && error_of("movement", "") && error_of("school", "7") && error_of("rules", "null"));
        // Deeply nested, or very long: refused, not obeyed.
        QVERIFY(error_of("movement", "{\"home\":" + std::string(20000, '[') + std::string(20000, ']') + "}"));
        json j = shipped("movement");
        j["name"] = std::string(100000, 'x');
        QVERIFY(error_of("movement", j.dump()));
        j = shipped("movement");
        for (int i = 0; i < 100; ++i) {
            auto phase = j["phases"].back();
            phase["id"] = "more_" + std::to_string(i);
            j["phases"].push_back(phase);
        }
        QVERIFY(error_of("movement", j.dump()));
    }
};
QTEST_GUILESS_MAIN(TestFiles)
#include "test_files.moc"
