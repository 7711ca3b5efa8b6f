// Every check of every rule tells its fault: performed by a student in a shipped movement and found through the whole chain, safety rules
// in three movements each where so many ask. No check of the rules is without.
#include "core/review/trend.h"
#include "support/wrong.h"
#include <fstream>
#include <map>
#include <nlohmann/json.hpp>
#include <QTest>
#include <set>

using namespace bevel;

class TestAlive : public QObject {
    Q_OBJECT
    struct Row {
        std::string check, end, movement, way;
    };
    static std::vector<Row> rows() {
        std::vector<Row> out;
        std::ifstream in(BEVEL_SOURCE_DIR "/tests/data/rules_alive.txt");
        for (std::string line; std::getline(in, line);) {
            if (line.empty() || line.front() == '#') continue;
            std::stringstream s(line);
            Row r;
            std::getline(s, r.check, '\t'), std::getline(s, r.end, '\t'), std::getline(s, r.movement, '\t'), std::getline(s, r.way);
            out.push_back(r);
        }
        return out;
    }
    static const RuleCheck* rule_check(const std::string& id, const Rule** rule = nullptr) {
        for (const auto& r : rule_book().rules)
            for (const auto& c : r.checks)
                if (c.check.id == id) {
                    if (rule) *rule = &r;
                    return &c;
                }
        return nullptr;
    }
    static const Finding* told(const Review& r, const std::string& check, const std::string& end) {
        for (const auto& f : r.findings)
            if ((f.check == check || f.check.starts_with(check + "@")) && f.verdict == Verdict::outside &&
                direction_name(f.direction) == end)
                return &f;
        return nullptr;
    }
    std::map<std::string, std::set<std::pair<std::string, std::string>>> clean_; // what is told of a faultless one, by movement

    static bool is_cue(const Cue& cue, const std::string& words) {
        if (cue.usual == words) return true;
        return std::any_of(cue.by_role.begin(), cue.by_role.end(), [&](const auto& c) { return c.second == words; });
    }

private slots:
    void no_check_is_without_a_fault_that_shows_it() {
        std::map<std::pair<std::string, std::string>, std::set<std::string>> by_check;
        for (const auto& r : rows()) by_check[{r.check, r.end}].insert(r.movement);
        const std::set<std::string> elsewhere{"arms_lead"}; // asked by own movements only (below)
        QStringList empty;
        for (const auto& rule : rule_book().rules)
            for (const auto& rc : rule.checks)
                for (const bool high : {false, true}) {
                    bool asks = (high ? rc.check.high : rc.check.low).has_value();
                    for (const auto& [stance, band] : rc.stances) asks = asks || (high ? band.high : band.low);
                    if (!asks || elsewhere.contains(rc.check.id)) continue;
                    const auto it = by_check.find({rc.check.id, high ? "high" : "low"});
                    if (it == by_check.end()) empty << QString::fromStdString(rc.check.id) + (high ? " high" : " low");
                }
        QVERIFY2(empty.isEmpty(), qPrintable(empty.join(QLatin1String(", "))));
        // The safety rules in three movements, but for what only two ask; all ask for ease in bending, and two bend sideways.
        std::map<std::string, int> asked{{"range_bend", -100}};
        for (const auto& m : load_movements(test::data_dir())) {
            std::set<std::string> ids;
            for (const auto& c : m.checks) ids.insert(c.id.substr(0, c.id.find('@')));
            for (const auto& id : ids) ++asked[id];
        }
        for (const auto& [key, movements] : by_check)
            if (const auto* rc = rule_check(key.first); rc && rc->check.severity == Severity::safety)
                QVERIFY2(movements.size() >= 3 || static_cast<int>(movements.size()) >= asked[key.first], key.first.c_str());
    }
    void each_check_tells_its_fault_data() {
        QTest::addColumn<int>("row");
        const auto all = rows();
        QVERIFY(all.size() > 120);
        for (std::size_t k = 0; k < all.size(); ++k)
            QTest::addRow("%s %s, %s, %s", all[k].check.c_str(), all[k].end.c_str(), all[k].movement.c_str(), all[k].way.c_str())
                << static_cast<int>(k);
    }
    void each_check_tells_its_fault() {
        QFETCH(int, row);
        const Row r = rows()[static_cast<std::size_t>(row)];
        const auto m = test::movement(r.movement);
        QVERIFY(!m.id.empty());
        if (!clean_.contains(r.movement)) {
            auto& of = clean_[r.movement];
            const auto clean = test::reviewed(m, test::as_asked(m));
            QVERIFY(clean);
            for (const auto& f : clean->findings)
                if (f.verdict == Verdict::outside) of.insert({f.check, std::string(direction_name(f.direction))});
        }
        QVERIFY2(!clean_[r.movement].contains({r.check, r.end}), "told of a faultless one too");
        const auto way = test::wrong_way(m, r.way);
        QVERIFY2(way, "no such way");
        const auto review = test::reviewed(m, *way);
        QVERIFY(review);
        const Finding* f = told(*review, r.check, r.end);
        QVERIFY2(f, "not told");
        const Rule* rule = nullptr;
        const auto* rc = rule_check(r.check, &rule);
        QVERIFY(rc && rule);
        QCOMPARE(f->rule, rule->id);
        QVERIFY2(is_cue(r.end == "low" ? rc->check.cue_low : rc->check.cue_high, f->cue), f->cue.c_str());
        QVERIFY(f->time_s > 0 && f->time_s < review->motion.time_s.back());
    }
    void a_way_of_doing_it_is_told_under_its_neighbour_alone() {
        struct Case {
            const char *movement, *done_as, *held_against, *check, *end; // schools; empty: the movement's own way
        };
        for (const Case& c : {Case{"waist_arm_swing", "", "waist_over_hips", "pelvis_quiet", "high"},
                              Case{"clouds_with_a_step", "side_step_ball", "side_step_heel", "side_step", "low"},
                              Case{"clouds_with_a_step", "side_step_heel", "side_step_ball", "side_step", "high"}}) {
            const auto as = [&](const std::string& id) {
                Movement m = test::movement(c.movement);
                for (const auto& s : load_schools(test::data_dir()))
                    if (s.id == id) apply(m, s.changes, BandLevel::school);
                return m;
            };
            const Movement done = as(c.done_as), asked = as(c.held_against);
            test::Wrong way = test::as_asked(done);
            const auto own = test::reviewed(done, way), neighbour = test::reviewed(asked, way);
            QVERIFY(own && neighbour);
            QVERIFY2(!told(*own, c.check, c.end), c.check);
            QVERIFY2(told(*neighbour, c.check, c.end), c.held_against);
            QVERIFY2(!told(*test::reviewed(asked, test::as_asked(asked)), c.check, c.end), c.held_against);
        }
    }
    void a_heel_raise_is_kept_in_centimetres_with_its_pause() {
        const Movement m = test::movement("heel_raise_and_drop");
        const test::Wrong way = test::as_asked(m);
        const auto r = test::reviewed(m, way);
        QVERIFY(r);
        // By the truth: how high the left heel comes, and how long it stays above eight tenths of that.
        const auto truth = sim::Take(m, way.take).truth();
        double top = 0, floor = 1e9;
        for (const auto& b : truth.points) top = std::max(top, b[left_heel].y()), floor = std::min(floor, b[left_heel].y());
        double up_s = 0;
        int raises = 0;
        for (std::size_t f = 1; f < truth.time_s.size(); ++f) {
            const bool up = truth.points[f][left_heel].y() - floor > 0.8 * (top - floor);
            if (up) up_s += truth.time_s[f] - truth.time_s[f - 1];
            raises += up && truth.points[f - 1][left_heel].y() - floor <= 0.8 * (top - floor);
        }
        QVERIFY(raises >= 2);
        int kept = 0;
        for (const auto& f : figures_of(*r)) {
            kept += f.check == "heel_raise" || f.check == "heel_pause";
            if (f.check == "heel_raise") QVERIFY2(std::abs(f.value - 100 * (top - floor)) < 1.0, std::to_string(f.value).c_str());
            if (f.check == "heel_pause") QVERIFY2(std::abs(f.value - up_s / raises) < 0.3, std::to_string(f.value).c_str());
        }
        QCOMPARE(kept, 4); // both heels
        for (const auto& f : r->findings) QVERIFY2(!f.check.starts_with("heel_raise") || f.verdict != Verdict::outside, f.check.c_str());
    }
    void a_side_that_swings_less_far_is_no_break_in_the_swing() {
        const Movement m = test::movement("waist_arm_swing");
        test::Wrong way = test::as_asked(m);
        way.take.student.score.repetitions = 4;
        way.after = [](Track& t, const sim::Truth& truth) {
            const auto turned = [](const Body3& b) {
                const Vec3 v = b[left_shoulder] - b[right_shoulder];
                return std::atan2(-v.z(), v.x());
            };
            for (const auto& s : truth.phases)
                for (std::size_t f = 0; s.side == Side::right && f < t.frames(); ++f) {
                    if (t.time_s[f] < s.start_s || t.time_s[f] >= s.end_s) continue;
                    Body3& b = *t.m[f];
                    const Vec3 centre = mid(b, left_hip);
                    const double back = -0.4 * (turned(b) - turned(truth.points.front()));
                    const Eigen::Matrix3d r = Eigen::AngleAxisd(back, Vec3(0, 1, 0)).toRotationMatrix();
                    for (const Point p : {left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little, left_ear, left_eye})
                        for (const Point q : {p, mirrored(p)}) b[q] = centre + r * (b[q] - centre);
                }
        };
        const auto r = test::reviewed(m, way);
        QVERIFY(r);
        QVERIFY(!told(*r, "swing_ramp", "high"));
    }
    void arms_lead_where_a_movement_asks_for_it() {
        // No shipped movement does; an instructor's own may.
        auto j = nlohmann::json::parse(*read_text(test::data_dir() / "movements/waist_arm_swing.json", 1 << 20));
        j["needs"] = {"driver:arms"};
        const auto m = parse_movement(j.dump());
        QVERIFY(m.has_value());
        const auto clean = test::reviewed(*m, test::as_asked(*m));
        QVERIFY(clean && !told(*clean, "arms_lead", "low"));
        const auto way = test::wrong_way(*m, "points waist early");
        const auto late = test::reviewed(*m, *way);
        QVERIFY(late);
        const Finding* f = told(*late, "arms_lead", "low");
        QVERIFY(f);
        QCOMPARE(f->cue, std::string("Let the arms begin here, and let the waist follow."));
    }
};
QTEST_GUILESS_MAIN(TestAlive)
#include "test_alive.moc"
