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
    static std::vector<std::string> ids() {
        std::vector<std::string> out;
        for (const auto& m : load_movements(test::data_dir())) out.push_back(m.id);
        return out;
    }

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
    void every_shipped_movement_is_done_by_bodies_of_five_sizes() {
        std::vector<Error> problems;
        const auto all = load_movements(test::data_dir(), &problems);
        QVERIFY2(problems.empty(), problems.empty() ? "" : problems.front().context.c_str());
        QVERIFY(all.size() >= 21);
        for (const auto& m : all)
            for (const double stature : {1.35, 1.55, 1.7, 1.85, 2.0}) {
                sim::StudentOptions o;
                o.stature_m = stature;
                o.score.repetitions = 1;
                o.proportion_spread = 0;
                const sim::Student s(m, o);
                const BodyDims& d = s.dims();
                const QString where = QStringLiteral("%1 %2 m").arg(QString::fromStdString(m.id)).arg(stature);
                const double step = 1.0 / 30;
                std::vector<Body3> way;
                for (double t = 0; t < s.duration(); t += step) way.push_back(s.pose(t).points);
                double fastest = 0;
                for (std::size_t i = 0; i < way.size(); ++i) {
                    const Body3& b = way[i];
                    for (const auto& p : b) QVERIFY2(p.allFinite() && p.y() > -1e-6 && p.y() < 1.5 * stature, qPrintable(where));
                    for (const Side side : {Side::left, Side::right}) {
                        auto at = [&](Point p) { return b[static_cast<std::size_t>(on(side, p))]; };
                        for (const auto& [one, two, length] : {std::tuple{left_hip, left_knee, d.thigh},
                                                               {left_knee, left_ankle, d.shank},
                                                               {left_shoulder, left_elbow, d.upper_arm},
                                                               {left_elbow, left_wrist, d.forearm}})
                            QVERIFY2(std::abs((at(one) - at(two)).norm() - length) < 0.001, qPrintable(where));
                        const double knee = joint_bend(at(left_hip), at(left_knee), at(left_ankle)),
                                     elbow = joint_bend(at(left_shoulder), at(left_elbow), at(left_wrist));
                        QVERIFY2(knee < 130 && elbow < 150, qPrintable(where + QStringLiteral(" %1 %2").arg(knee).arg(elbow)));
                    }
                    if (i < 2) continue;
                    for (std::size_t p = 0; p < point_count; ++p) {
                        const double v = (way[i][p] - way[i - 1][p]).norm() / step,
                                     a = (way[i][p] - 2 * way[i - 1][p] + way[i - 2][p]).norm() / (step * step);
                        fastest = std::max(fastest, v);
                        QVERIFY2(
                            v < 2.2 && a < 60,
                            qPrintable(
                                where +
                                QStringLiteral(" %1 at %2 s: %3 m/s, %4 m/s2").arg(p).arg(static_cast<double>(i) * step).arg(v).arg(a)));
                    }
                }
                QVERIFY2(fastest > 0.15, qPrintable(where)); // it moves
            }
    }
    void what_a_movement_is_about_is_whole() {
        for (const auto& m : load_movements(test::data_dir())) {
            if (m.attention.empty()) continue; // the first three are told by their rules
            const auto& id = m.id;
            QVERIFY2(!m.images.empty() && !m.trains.empty() && !m.drills.empty() && !m.versions.empty(), id.c_str());
            for (const auto& d : m.drills)
                for (const auto& r : d.rules) QVERIFY2(rule_book().find(r) != nullptr, id.c_str());
            // What asks for balance or goes overhead says so.
            auto has = [&](const char* c) { return std::find(m.cautions.begin(), m.cautions.end(), c) != m.cautions.end(); };
            if (m.asks_balance >= 2) QVERIFY2(has("balance"), id.c_str());
            if (m.asks_knees >= 2) QVERIFY2(has("knees"), id.c_str());
            for (const auto& p : m.phases)
                for (const auto& h : {p.posture.left_hand, p.posture.right_hand})
                    if (h.level == Level::brow && h.y > 0.5) QVERIFY2(has("overhead"), id.c_str());
        }
        auto text = *read_text(test::data_dir() / "movements/draw_the_bow.json", 1 << 20);
        for (const auto& [from, to] : {std::pair{"\"rules\": [\"K1\"", "\"rules\": [\"Z9\""},
                                       {"\"knees\": 2", "\"knees\": 9"},
                                       {"\"attention\": [\"Sink", "\"attention\": [7, \"Sink"}}) {
            auto broken = text;
            const auto at = broken.find(from);
            QVERIFY2(at != std::string::npos, from);
            broken.replace(at, std::strlen(from), to);
            QVERIFY2(!parse_movement(broken), to);
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
