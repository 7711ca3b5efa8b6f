#include "core/movement/astray.h"
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
    void a_fault_of_a_check_is_what_the_check_measures() {
        // The figure that goes astray is measured: towards the side asked for, and by about as much.
        int looked = 0;
        for (const char* id : {"part_the_horses_mane", "opening_rise_and_sink", "parry_and_punch", "quiet_stand", "draw_the_bow"}) {
            const auto m = test::movement(id);
            const Reference right(m, 1.7);
            for (const auto& c : m.checks) {
                if (c.form != CheckForm::value || c.events.size() > 0 || c.measure == "heel.rise" || c.measure == "palm") continue;
                for (const bool high : {false, true}) {
                    const double size = c.unit == "deg" || measure_info(c.measure) == nullptr ? 8
                                        : measure_info(c.measure)->unit == "deg"              ? 8
                                        : measure_info(c.measure)->unit == "cm"               ? 4
                                        : measure_info(c.measure)->unit == "SW"               ? 0.2
                                                                                              : 0.05;
                    if (!(high ? c.high : c.low)) continue; // nothing is too much there
                    const auto other = astray(m, c, high, size);
                    if (!other) continue;
                    const Reference wrong(*other, 1.7);
                    const auto side = c.side == "lead"                                            ? std::optional(Side::left)
                                      : c.side == "rear"                                          ? std::optional(Side::right)
                                      : measure_info(c.measure) && measure_info(c.measure)->sided ? std::optional(Side::left)
                                                                                                  : std::nullopt;
                    // At the end of the last phase it looks at.
                    std::size_t p = m.phases.size() - 1;
                    for (std::size_t k = 0; k < m.phases.size(); ++k)
                        if (std::find(c.phases.begin(), c.phases.end(), m.phases[k].id) != c.phases.end()) p = k;
                    const auto a = right.model().value(c.measure, side, Side::left, right.borders(Side::left)[p + 1] - 0.02);
                    const auto b = wrong.model().value(c.measure, side, Side::left, wrong.borders(Side::left)[p + 1] - 0.02);
                    if (!a || !b) continue;
                    const double moved = (high ? 1 : -1) * (*b - *a);
                    // A weight or a height that is at its end already cannot go on.
                    const bool at_end =
                        (c.measure.starts_with("weight.") && (*a + (high ? size : -size) > 1 || *a + (high ? size : -size) < 0)) ||
                        (c.measure == "hip.height" && high);
                    ++looked;
                    QVERIFY2(at_end || (moved > 0.2 * size && moved < 2.5 * size),
                             qPrintable(QStringLiteral("%1 %2 %3: %4 of %5")
                                            .arg(QLatin1String(id), QString::fromStdString(c.id))
                                            .arg(high)
                                            .arg(moved)
                                            .arg(size)));
                }
            }
        }
        QVERIFY2(looked > 30, qPrintable(QString::number(looked)));
    }
    void who_sits_sits_and_a_hand_on_the_chair_stays_there() {
        for (const double stature : {1.35, 1.7, 2.0}) {
            sim::StudentOptions o;
            o.stature_m = stature;
            o.score.repetitions = 1;
            const sim::Student seated(test::movement("seated_rise_and_sink"), o);
            const double knees = seated.dims().ankle_height + seated.dims().shank;
            for (double t = 0; t < seated.duration(); t += 0.1) {
                const Body3 b = seated.pose(t).points;
                const double hips = mid(b, left_hip).y();
                QVERIFY2(hips > knees && hips < knees + 0.06, qPrintable(QString::number(hips - knees)));
                // Upright shanks, level thighs, both feet flat.
                QVERIFY(std::abs(b[left_knee].z() - b[left_ankle].z()) < 0.12 * stature);
                QVERIFY(joint_bend(b[left_hip], b[left_knee], b[left_ankle]) > 70 &&
                        joint_bend(b[left_hip], b[left_knee], b[left_ankle]) < 110);
                QVERIFY(b[left_heel].y() < 1e-4 && b[right_toe].y() < 1e-4);
                // The chair is under the thighs, stands on the floor, and its back is behind the hips.
                const auto chair = seated.pose(t).chair;
                QVERIFY(!chair.empty());
                double top = 0, low = 1e9, behind = 1e9;
                for (const Rod& r : chair) {
                    low = std::min({low, r.from.y(), r.to.y()});
                    behind = std::min({behind, r.from.z(), r.to.z()});
                    if (r.radius > 0.018) top = std::max(top, r.from.y() + r.radius);
                }
                QVERIFY2(low < 0.03 && top < hips && top > hips - 0.08 * stature && behind < mid(b, left_hip).z() - 0.1,
                         qPrintable(QStringLiteral("%1 %2 of %3, %4").arg(low).arg(top).arg(hips).arg(behind)));
            }
            const sim::Student standing(test::movement("one_leg_stand_at_a_chair"), o);
            std::optional<Vec3> held;
            int looked = 0;
            for (double t = 0; t < standing.duration(); t += 0.1) {
                const auto& key = standing.score().keys()[standing.score().stretch_at(standing.score_time(t))];
                if (key.phase < 1 || key.phase > 3 || key.side != Side::left)
                    continue; // the right hand rests from the end of the first phase
                const Vec3 hand = standing.pose(t).points[right_wrist];
                if (held) QVERIFY2((hand - *held).norm() < 0.012, qPrintable(QString::number((hand - *held).norm())));
                if (!held) held = hand;
                QVERIFY(hand.y() > 0.45 * stature && hand.y() < 0.6 * stature);
                double away = 1e9; // from the top rail of the chair that stands there
                for (const Rod& r : standing.pose(t).chair) {
                    const Vec3 along = r.to - r.from;
                    const double u = std::clamp((hand - r.from).dot(along) / along.squaredNorm(), 0.0, 1.0);
                    away = std::min(away, (hand - r.from - u * along).norm());
                }
                QVERIFY2(away < 0.05, qPrintable(QString::number(away)));
                ++looked;
            }
            QVERIFY(looked > 30);
        }
    }
    void shipped_files_fit_their_schemas() {
        const auto dir = test::data_dir();
        for (const auto& id : ids())
            QVERIFY2(valid(dir / "movements/movement.schema.json", dir / "movements" / (id + ".json")), id.c_str());
        int schools = 0;
        for (const auto& f : std::filesystem::directory_iterator(dir / "schools"))
            if (!f.path().string().ends_with(".schema.json")) {
                QVERIFY2(valid(dir / "schools/school.schema.json", f.path()), f.path().c_str());
                ++schools;
            }
        QVERIFY(schools >= 8);
        for (const auto& form : std::filesystem::directory_iterator(dir / "forms"))
            if (form.path().filename() != "form.schema.json")
                QVERIFY2(valid(dir / "forms/form.schema.json", form.path()), form.path().c_str());
        QVERIFY(valid(dir / "rules.schema.json", dir / "rules.json"));
        QVERIFY(valid(dir / "measures.schema.json", dir / "measures.json"));
        QVERIFY(!valid(dir / "rules.schema.json", dir / "measures.json"));
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
        QVERIFY(all.size() >= 46);
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
                QVERIFY2(fastest > 0.10, qPrintable(where)); // it moves
            }
    }
    void planted_feet_stay_through_the_whole_library() {
        for (const auto& m : load_movements(test::data_dir()))
            for (const double stature : {1.35, 1.7, 2.0}) {
                sim::StudentOptions o;
                o.stature_m = stature;
                o.score.repetitions = 1;
                o.sway = 0;
                o.proportion_spread = o.tempo_spread = o.size_spread = 0;
                const sim::Student s(m, o);
                const auto& keys = s.score().keys();
                for (std::size_t k = 3; k < keys.size(); ++k)
                    for (const Side side : {Side::left, Side::right}) {
                        const auto& a = side == Side::left ? keys[k - 1].posture.left_foot : keys[k - 1].posture.right_foot;
                        const auto& b = side == Side::left ? keys[k].posture.left_foot : keys[k].posture.right_foot;
                        if (a.contact != Contact::flat || b.contact != Contact::flat) continue;
                        const bool heel_turns = a.heel_turn != b.heel_turn, ball_turns = a.ball_turn != b.ball_turn;
                        std::vector<Vec3> heel, toe, ball;
                        for (int i = 0; i <= 20; ++i) {
                            const double at = keys[k - 1].time + (keys[k].time - keys[k - 1].time) * i / 20.0;
                            const Body3 p = s.pose(s.time_of(at)).points;
                            heel.push_back(p[static_cast<std::size_t>(on(side, left_heel))]);
                            toe.push_back(p[static_cast<std::size_t>(on(side, left_toe))]);
                            ball.emplace_back(0.28 * heel.back() + 0.72 * toe.back());
                        }
                        auto travel = [](const std::vector<Vec3>& v) {
                            double most = 0;
                            for (const auto& p : v) most = std::max(most, Vec3(p - v.front()).norm());
                            return most;
                        };
                        const QString where = QStringLiteral("%1, key %2, %3 m").arg(QString::fromStdString(m.id)).arg(k).arg(stature);
                        if (!heel_turns && !ball_turns) QVERIFY2(travel(heel) < 0.002 && travel(toe) < 0.002, qPrintable(where));
                        // A foot that turns keeps what it turns on: the heel to two millimetres, the ball on the floor's plan to a
                        // centimetre (the heel is lifted, which tips the ball); the other end goes.
                        if (heel_turns) QVERIFY2(travel(heel) < 0.002 && travel(toe) > 0.04, qPrintable(where));
                        if (ball_turns) {
                            for (auto& p : ball) p.y() = 0;
                            QVERIFY2(travel(ball) < 0.010 && travel(heel) > 0.04,
                                     qPrintable(where + QStringLiteral(" %1 %2").arg(travel(ball)).arg(travel(heel))));
                        }
                    }
            }
    }
    void each_kind_does_what_it_is_named_for() {
        // Events told from the points alone, against the moments of the score.
        auto of = [](const char* id) {
            sim::StudentOptions o;
            o.score.repetitions = 1;
            o.sway = 0;
            o.proportion_spread = o.tempo_spread = o.size_spread = 0;
            return sim::Student(test::movement(id), o);
        };
        // Time at the end of a phase of the first (left) or second (right) repetition.
        auto at_end = [](const sim::Student& s, const char* phase, int repetition = 0) {
            const auto& m = s.score().movement();
            for (const auto& k : s.score().keys())
                if (k.repetition == repetition && k.phase >= 0 && m.phases[static_cast<std::size_t>(k.phase)].id == phase)
                    return s.time_of(k.time);
            return -1.0;
        };
        auto toes = [](const Body3& b, Side side) { // direction of the foot, degrees outward
            const Vec3 d = b[static_cast<std::size_t>(on(side, left_toe))] - b[static_cast<std::size_t>(on(side, left_heel))];
            return std::atan2(side == Side::left ? d.x() : -d.x(), d.z()) * 57.29578;
        };
        {
            const auto s = of("arm_swing_with_pivots");
            const Body3 open = s.pose(at_end(s, "open")).points, swung = s.pose(at_end(s, "follow")).points;
            QVERIFY(std::abs(toes(open, Side::left) - 8 - 26) < 1 && std::abs(toes(open, Side::right) - 8) < 1);
            QVERIFY(std::abs(toes(swung, Side::right) - (8 - 24)) < 1);
            // The foot that turns is the lighter one: the hips are over the other half.
            const Vec3 mid_hip = mid(open, left_hip), feet = mid(open, left_ankle);
            QVERIFY(mid_hip.x() < feet.x() - 0.03);
            QVERIFY(mid(swung, left_hip).x() > mid(swung, left_ankle).x() + 0.02);
        }
        {
            const auto s = of("turn_on_one_foot");
            auto height = [&](const char* phase) { return mid(s.pose(at_end(s, phase)).points, left_hip).y(); };
            QVERIFY(height("rise") > height("shift") + 0.02); // it rises first
            const Body3 risen = s.pose(at_end(s, "rise")).points, turned = s.pose(at_end(s, "turn")).points;
            QVERIFY(std::abs(toes(risen, Side::left) - 6) < 1 && toes(turned, Side::left) > 30);
            const Vec3 across = turned[left_hip] - turned[right_hip];
            QVERIFY(std::atan2(-across.z(), across.x()) * 57.29578 > 15); // and the pelvis came along
        }
        {
            // The roll: each part has come half of its way up later than the one below it.
            const auto s = of("fold_and_roll_up");
            std::array<double, 3> half{};
            const double from = at_end(s, "hang"), to = at_end(s, "head");
            auto slopes = [&](double t) {
                const ExtraPoints p = s.pose(t).marks();
                auto tilt = [&](Extra a, Extra b) {
                    const Vec3 d = *p[static_cast<std::size_t>(b)] - *p[static_cast<std::size_t>(a)];
                    return std::atan2(d.z(), d.y()) * 57.29578;
                };
                return std::array<double, 3>{tilt(tail, low_back), tilt(low_back, mid_back), tilt(mid_back, c7)};
            };
            const auto hung = slopes(from), stood = slopes(to);
            for (std::size_t k = 0; k < 3; ++k) {
                QVERIFY2(hung[k] > stood[k] + 15, qPrintable(QStringLiteral("%1: %2 %3").arg(k).arg(hung[k]).arg(stood[k])));
                for (double t = from; t < to && half[k] == 0; t += 0.02)
                    if (slopes(t)[k] < 0.5 * (hung[k] + stood[k])) half[k] = t;
            }
            QVERIFY2(half[0] > from && half[1] > half[0] + 0.2 && half[2] > half[1] + 0.2,
                     qPrintable(QStringLiteral("%1 %2 %3").arg(half[0]).arg(half[1]).arg(half[2])));
            // Hanging, the hands are below the knees' middle and the head below the shoulders.
            const Body3 b = s.pose(from).points;
            QVERIFY(mid(b, left_wrist).y() < mid(b, left_hip).y() - 0.15 && mid(b, left_ear).y() < mid(b, left_shoulder).y());
        }
        {
            const auto s = of("bend_and_swing");
            const double one = mid(s.pose(at_end(s, "swing")).points, left_wrist).x(),
                         other = mid(s.pose(at_end(s, "swing_over")).points, left_wrist).x();
            QVERIFY2(one > 0.08 && other < -0.08, qPrintable(QStringLiteral("%1 %2").arg(one).arg(other)));
        }
        {
            const auto s = of("follow_step");
            auto apart = [&](const char* phase) {
                const Body3 b = s.pose(at_end(s, phase)).points;
                return std::abs(b[left_ankle].z() - b[right_ankle].z());
            };
            QVERIFY(apart("shift") > 0.25 && apart("touch") < 0.5 * apart("shift"));
        }
        {
            const auto s = of("staff_closing_turn");
            std::vector<double> length, apart;
            for (double t = 0; t < s.duration(); t += 0.1) {
                const Pose p = s.pose(t);
                QVERIFY(p.tool.has_value());
                length.push_back((p.tool->first - p.tool->second).norm());
                apart.push_back((p.points[left_wrist] - p.points[right_wrist]).norm());
                for (const Vec3& end : {p.tool->first, p.tool->second}) QVERIFY(end.y() > 0.2); // clear of the floor
            }
            const auto [low, high] = std::minmax_element(length.begin(), length.end());
            QVERIFY2(*high < 1.05 * *low, qPrintable(QStringLiteral("%1 to %2 m").arg(*low).arg(*high))); // a staff does not stretch
        }
        {
            const auto s = of("fists_tight_and_let_go");
            auto hand = [&](double t) {
                const Body3 b = s.pose(t).points;
                return (b[left_index] - b[left_wrist]).norm();
            };
            QVERIFY(hand(at_end(s, "tight")) < 0.65 * hand(0) && hand(at_end(s, "let_go")) > 0.95 * hand(0));
        }
        {
            const auto s = of("creep_low");
            const Body3 b = s.pose(at_end(s, "creep")).points, start = s.pose(0).points;
            QVERIFY(mid(b, left_hip).y() < 0.8 * mid(start, left_hip).y());
            const double out = joint_bend(b[left_hip], b[left_knee], b[left_ankle]),
                         under = joint_bend(b[right_hip], b[right_knee], b[right_ankle]);
            QVERIFY2(out < 25 && under > 60, qPrintable(QStringLiteral("%1 %2").arg(out).arg(under)));
        }
        {
            // The hips go round one way on one side and the other way on the other.
            const auto s = of("hip_circles");
            std::vector<double> areas;
            for (const int repetition : {0, 1}) {
                double area = 0;
                Vec3 last = Vec3::Zero();
                const auto& keys = s.score().keys();
                double from = 1e9, to = 0;
                for (std::size_t k = 1; k < keys.size(); ++k)
                    if (keys[k].repetition == repetition) from = std::min(from, s.time_of(keys[k - 1].time)), to = s.time_of(keys[k].time);
                for (double t = from; t <= to; t += 0.05) {
                    const Vec3 h = mid(s.pose(t).points, left_hip);
                    if (t > from) area += 0.5 * (last.z() * h.x() - last.x() * h.z());
                    last = h;
                }
                areas.push_back(area);
            }
            QVERIFY2(areas[0] * areas[1] < 0 && std::abs(areas[0]) > 0.003 && std::abs(areas[0] + areas[1]) < 0.1 * std::abs(areas[0]),
                     qPrintable(QStringLiteral("%1 %2 m2").arg(areas[0]).arg(areas[1])));
        }
    }
    void what_a_movement_is_about_is_whole() {
        for (const auto& m : load_movements(test::data_dir())) {
            const auto& id = m.id;
            QVERIFY2(!m.attention.empty() && !m.images.empty() && !m.trains.empty() && !m.drills.empty() && !m.versions.empty(),
                     id.c_str());
            for (const auto& d : m.drills)
                for (const auto& r : d.rules) QVERIFY2(rule_book().find(r) != nullptr, id.c_str());
            // What asks for balance or goes overhead says so.
            auto has = [&](const char* c) { return std::find(m.cautions.begin(), m.cautions.end(), c) != m.cautions.end(); };
            if (m.asks.balance >= 2) QVERIFY2(has("balance"), id.c_str());
            if (m.asks.knees >= 2) QVERIFY2(has("knees"), id.c_str());
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

    /// What a movement asks of the body is never set lower than its own figure shows, in any of its versions.
    void it_asks_for_no_less_than_its_figure_shows() {
        for (const auto& m : load_movements(test::data_dir())) {
            std::vector<std::string> ways{""};
            for (const auto& v : m.versions)
                if (v.change) ways.push_back(v.name);
            for (const auto& way : ways) {
                const Reference r(m.as(way), 1.7);
                const Asks asks = asks_of(m, way);
                const QByteArray what = QByteArray::fromStdString(m.id + " " + way);
                double over = -1, depth = 2;
                for (std::size_t f = 0; f < r.motion().frames(); ++f) {
                    const Body3 b = r.motion().own(f);
                    over =
                        std::max({over, b[left_wrist].y() - mid(b, left_ear).y() - 0.12, b[right_wrist].y() - mid(b, left_ear).y() - 0.12});
                    depth = std::min(depth, mid(b, left_hip).y() / r.motion().neutral.hip_height);
                }
                const auto most = [&](const char* id) {
                    double v = 0;
                    if (const auto* s = r.measures().find(id, std::nullopt))
                        for (const auto& x : s->samples)
                            if (x.present()) v = std::max(v, std::abs(x.value));
                    return v;
                };
                const bool seated = m.as(way).phases.front().posture.seat > 0.5;
                if (over > 0) QVERIFY2(asks.overhead >= 2 && asks.shoulders >= 2, what);
                if (most("trunk.lean") > 30) QVERIFY2(asks.head_low >= 2 && asks.low_back >= 2, what);
                if (most("turn.gap") > 15) QVERIFY2(asks.turning >= 2, what);
                if (!seated && depth < 0.78) QVERIFY2(asks.knees >= 3, what);
                if (!seated && depth < 0.86) QVERIFY2(asks.knees >= 1, what);
            }
        }
    }
    void what_a_file_asks_of_the_body_is_read_strictly() {
        const auto read = [](const char* asks) {
            auto text = *read_text(test::data_dir() / "movements" / "look_behind.json", 1 << 20);
            const auto at = text.find("\"asks\": {");
            text.replace(at, text.find('}', at) - at + 1, std::string("\"asks\": ") + asks);
            return parse_movement(text);
        };
        const auto good = read(R"({"neck": 3, "wrists": 1})");
        QVERIFY(good && good->asks.neck == 3 && good->asks.wrists == 1 && good->asks.overhead == 0);
        for (const char* bad : {R"({"wings": 1})", R"({"neck": 4})", R"({"neck": -1})", R"({"neck": 1.5})", R"({"neck": "much"})", "[]"}) {
            const auto m = read(bad);
            QVERIFY2(!m && m.error().context.find("asks") != std::string::npos, bad);
        }
    }
};
QTEST_GUILESS_MAIN(TestMovement)
#include "test_movement.moc"
