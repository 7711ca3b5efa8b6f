#include "core/sim/take.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTest>
#include <valijson/adapters/nlohmann_json_adapter.hpp>
#include <valijson/schema.hpp>
#include <valijson/schema_parser.hpp>
#include <valijson/validator.hpp>

using namespace bevel;

class TestMovement : public QObject {
    Q_OBJECT
    static std::vector<std::string> ids() { return {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"}; }

    static bool valid(const std::filesystem::path& schema_file, const std::filesystem::path& file) {
        const auto schema_json = nlohmann::json::parse(*read_text(schema_file, 1 << 20)),
                   document = nlohmann::json::parse(*read_text(file, 1 << 20));
        valijson::Schema schema;
        valijson::SchemaParser parser;
        valijson::adapters::NlohmannJsonAdapter schema_adapter(schema_json), target(document);
        parser.populateSchema(schema_adapter, schema);
        valijson::Validator validator;
        return validator.validate(schema, target, nullptr);
    }

private slots:
    void shipped_files_fit_their_schemas() {
        const auto dir = test::data_dir();
        for (const auto& id : ids())
            QVERIFY2(valid(dir / "movements/movement.schema.json", dir / "movements" / (id + ".json")), id.c_str());
        for (const char* id : {"middle_upright", "inclined", "high_mobile"})
            QVERIFY(valid(dir / "schools/school.schema.json", dir / "schools" / (std::string(id) + ".json")));
    }
    void a_sliding_foot_is_refused() {
        auto text = *read_text(test::data_dir() / "movements/gaze_at_the_moon.json", 1 << 20);
        const std::string from = "\"posture\": {\"weight_left\": 0.82, \"depth\": 0.915,";
        const auto at = text.find(from);
        QVERIFY(at != std::string::npos);
        text.replace(at, from.size(), "\"posture\": {\"left_foot\": {\"x\": 0.9}, \"weight_left\": 0.82, \"depth\": 0.915,");
        const auto m = parse_movement(text);
        QVERIFY(!m);
        QVERIFY(m.error().context.find("slides") != std::string::npos);
    }
    void planted_feet_do_not_move_and_knees_follow_toes() {
        for (const auto& id : ids()) {
            sim::StudentOptions o;
            o.score.repetitions = 1;
            const sim::Student s(test::movement(id), o);
            Body3 before = s.pose(0).points;
            for (double t = 0.04; t < s.duration(); t += 0.04) {
                const Pose pose = s.pose(t);
                const Body3& b = pose.points;
                for (const Side side : {Side::left, Side::right}) {
                    const auto heel = static_cast<std::size_t>(on(side, left_heel)), toe = static_cast<std::size_t>(on(side, left_toe));
                    if (b[heel].y() < 1e-4 && before[heel].y() < 1e-4 && b[toe].y() < 1e-4 && before[toe].y() < 1e-4)
                        QVERIFY2((b[heel] - before[heel]).norm() < 0.0015, id.c_str());
                    for (const auto& p : b) QVERIFY(p.allFinite());
                    QVERIFY(b[heel].y() > -1e-6 && b[toe].y() > -1e-6);
                }
                before = b;
            }
        }
    }
    void limbs_keep_their_lengths() {
        sim::StudentOptions o;
        const sim::Student s(test::movement("part_the_horses_mane"), o);
        const BodyDims& d = s.dims();
        for (double t = 0; t < s.duration(); t += 0.3) {
            const Body3 b = s.pose(t).points;
            QVERIFY(std::abs((b[left_hip] - b[left_knee]).norm() - d.thigh) < 1e-6);
            QVERIFY(std::abs((b[right_knee] - b[right_ankle]).norm() - d.shank) < 1e-6);
            QVERIFY(std::abs((b[left_shoulder] - b[left_elbow]).norm() - d.upper_arm) < 1e-6);
        }
    }
    void the_right_side_mirrors_the_left() {
        const Posture p = test::movement("part_the_horses_mane").phases[3].posture, q = p.mirrored();
        QCOMPARE(q.right_foot.z, p.left_foot.z);
        QCOMPARE(q.right_foot.x, -p.left_foot.x);
        QCOMPARE(q.weight_left, 1 - p.weight_left);
        QCOMPARE(q.mirrored().shoulder_turn, p.shoulder_turn);
    }
    void equal_seeds_give_equal_points_and_others_do_not() {
        const auto m = test::movement("gaze_at_the_moon");
        const sim::Student a(m, sim::take_of(5, 1.7).student), b(m, sim::take_of(5, 1.7).student), c(m, sim::take_of(6, 1.7).student);
        QCOMPARE(a.pose(6.0).points[left_knee], b.pose(6.0).points[left_knee]);
        QVERIFY((a.pose(6.0).points[left_knee] - c.pose(6.0).points[left_knee]).norm() > 1e-3);
    }
    void faults_are_parsed_and_bad_ones_refused() {
        const auto f = sim::parse_fault("knee_in.left=12");
        QVERIFY(f && f->fault == sim::Fault::knee_in && f->side == Side::left && f->size == 12);
        for (const char* bad : {"knee_in", "nothing=3", "knee_in.up=3", "knee_in=x", "knee_in=-1", "knee_in=400", "=", "knee_in.left="})
            QVERIFY2(!sim::parse_fault(bad), bad);
    }
    void truth_puts_all_weight_on_the_standing_foot() {
        sim::TakeOptions o = sim::take_of(3, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        int off = 0;
        for (std::size_t i = 0; i < take.frames(); ++i)
            if (take.truth().contact[i][0] == Contact::off) {
                ++off;
                QCOMPARE(take.truth().weight_left[i], 0.0);
                QVERIFY(std::abs(take.truth().weight_raw[i]) < 0.2);
            }
        QVERIFY(off > 20);
    }
};
QTEST_GUILESS_MAIN(TestMovement)
#include "test_movement.moc"
