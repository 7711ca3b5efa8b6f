// Learning to see: what is said held against what is there, exercises as hard as they are asked for, and the record.
#include "core/seeing/rounds.h"
#include <QtTest>
#include <set>

using namespace bevel;

namespace {

const std::vector<Movement>& movements() {
    static const auto all = load_movements(BEVEL_SOURCE_DIR "/data");
    return all;
}
const Movement& movement(const std::string& id) {
    return *std::find_if(movements().begin(), movements().end(), [&](const Movement& m) { return m.id == id; });
}

/// Everything that is there, said as it is.
std::vector<Said> all_of(const WhatIsThere& truth) {
    std::vector<Said> out;
    for (const auto& v : truth.there) {
        const SaidSide side = v.left && v.right ? SaidSide::both : v.left ? SaidSide::left : v.right ? SaidSide::right : SaidSide::none;
        out.push_back({v.check, v.direction, side, 0.5 * (v.spans.front().from_s + v.spans.front().to_s)});
    }
    return out;
}

/// A movement whose checks are those of a small hand-made truth.
struct Bench {
    Movement movement;
    WhatIsThere truth;
    void check(const char* id, const char* rule, const char* measure) {
        Check c;
        c.id = id, c.rule = rule, c.measure = measure;
        c.low = 0, c.high = 1;
        movement.checks.push_back(c);
    }
    Bench() {
        movement.id = "bench";
        check("stance", "F1", "stance.width");
        check("knee_in", "K1", "knee.inward");
        check("knee_line", "K1", "knee.toe");
        check("knee_depth", "K4", "knee.flexion");
        check("knee_locked", "K3", "knee.flexion");
        check("lean", "S1", "trunk.lean");
        check("side", "S1", "trunk.side");
        check("gaze", "S4", "head.pitch");
        check("hand", "A4", "hand.height");
        // Safety before the rest, then from the ground up.
        add("knee_in", "K1", "knee.inward", Direction::high, Family::knees, Severity::safety, true, false, {{2, 3, Side::left}});
        add("stance", "F1", "stance.width", Direction::low, Family::feet, Severity::ground, false, false, {{1, 8, {}}});
        add("lean", "S1", "trunk.lean", Direction::high, Family::spine, Severity::shape, false, false, {{4, 5, {}}, {6, 7, {}}});
        truth.open.push_back({"gaze", "S4", "head.pitch", {}, Direction::low});
        truth.untold.push_back({"hand", "A4", "hand.height", Side::right, Direction::none});
        truth.within.push_back({"hand", "A4", "hand.height", Side::left, Direction::none});
        truth.within.push_back({"side", "S1", "trunk.side", {}, Direction::none});
        truth.within.push_back({"gaze", "S4", "head.pitch", {}, Direction::none});
        truth.within.push_back({"knee_depth", "K4", "knee.flexion", Side::left, Direction::none});
    }
    void add(const char* check, const char* rule, const char* measure, Direction d, Family f, Severity s, bool left, bool right,
             std::vector<Visible::Span> spans) {
        Visible v;
        v.check = check, v.rule = rule, v.measure = measure, v.direction = d, v.family = f, v.severity = s;
        v.left = left, v.right = right, v.spans = std::move(spans);
        truth.there.push_back(v);
    }
    SeenCount count(const std::vector<Said>& said) const { return count_seen(said, truth, movement); }
};

SeenRound clean(SeeingLevel level) {
    SeenRound r;
    r.movement = "bench", r.level = level;
    r.things.push_back({"F1", "stance", Direction::low, true, SeenMark::found, {}, true});
    return r;
}
SeenRound missed(SeeingLevel level, const char* rule = "K1", View view = View::front) {
    SeenRound r = clean(level);
    r.view = view;
    r.things.front().rule = rule;
    r.things.front().mark.reset();
    return r;
}

} // namespace

class TestSeeing : public QObject {
    Q_OBJECT
private slots:
    void what_is_said_is_counted_by_hand() {
        const Bench b;
        const auto c = b.count({{"knee_in", Direction::high, SaidSide::left, 2.4},
                                {"lean", Direction::high, SaidSide::none, 5.6},  // within the half second that a hand needs
                                {"side", Direction::low, SaidSide::none, 3},     // within its band for sure
                                {"gaze", Direction::low, SaidSide::none, 3},     // at the edge
                                {"hand", Direction::high, SaidSide::right, 3}}); // not to be told on that side
        QCOMPARE(c.said, (std::vector{SeenMark::found, SeenMark::found, SeenMark::invented, SeenMark::open, SeenMark::untold}));
        QCOMPARE(c.found(), 2);
        QCOMPARE(c.missed(), 1);
        QVERIFY(!c.found_by[1]);
        QCOMPARE(c.side_right[0], std::optional(true));
        QVERIFY(!c.side_right[2]); // it has no side
        QCOMPARE(c.moment_right[0], std::optional(true));
        QCOMPARE(c.moment_right[2], std::optional(true));
        QCOMPARE(c.pairs, 1);
        QCOMPARE(c.in_order, 1);
        QCOMPARE(c.first_right, std::optional(true));
    }
    void the_wrong_side_moment_and_order_are_told_apart() {
        const Bench b;
        const auto c = b.count({{"lean", Direction::high, SaidSide::none, 2.0},
                                {"stance", Direction::low, SaidSide::none, 5},
                                {"knee_in", Direction::high, SaidSide::both, 9}});
        QCOMPARE(c.found(), 3);
        QCOMPARE(c.moment_right[2], std::optional(false));
        QCOMPARE(c.moment_right[1], std::optional(true));
        QCOMPARE(c.side_right[0], std::optional(false)); // the right one keeps its line
        QCOMPARE(c.moment_right[0], std::optional(false));
        QCOMPARE(c.pairs, 3);
        QCOMPARE(c.in_order, 0);
        QCOMPARE(c.first_right, std::optional(false));
    }
    void the_other_direction_is_another_thing() {
        const Bench b;
        QCOMPARE(b.count({{"stance", Direction::high, SaidSide::none, 2}}).found(), 0);
        QCOMPARE(b.count({{"gaze", Direction::high, SaidSide::none, 2}}).said.front(), SeenMark::invented); // only the low end is open
    }
    void said_twice_counts_once_and_costs_nothing() {
        const Bench b;
        const auto c = b.count({{"knee_in", Direction::high, SaidSide::left, 9}, {"knee_line", Direction::high, SaidSide::left, 2.5}});
        QCOMPARE(c.said, (std::vector{SeenMark::found, SeenMark::again}));
        QCOMPARE(c.found(), 1);
        QCOMPARE(c.moment_right[0], std::optional(true)); // one of both moments
        QCOMPARE(c.of(SeenMark::invented), 0);
    }
    void what_an_eye_does_not_tell_apart_is_one() {
        const Bench b;
        QCOMPARE(b.count({{"knee_line", Direction::high, SaidSide::left, 2.5}}).found(), 1);
        QVERIFY(!same_to_the_eye(b.movement.checks[5], b.movement.checks[6])); // leaning forward and sideways are two
        QVERIFY(same_to_the_eye(b.movement.checks[3], b.movement.checks[4]));  // one measure, whichever rule
        std::set<std::pair<std::string, Direction>> once;
        for (const auto& s : sayables(b.movement)) QVERIFY(once.emplace(s.check, s.direction).second);
        QCOMPARE(std::ranges::count_if(sayables(b.movement), [](const Sayable& s) { return s.rule == "K1"; }), 2); // low and high
    }
    void where_both_ends_look_alike_there_is_one_thing_to_say() {
        const Movement& m = movement("brush_and_push");
        const auto together = std::ranges::find_if(m.checks, [](const Check& c) { return c.measure == "turn.gap" && c.rule == "H2"; });
        QVERIFY(together != m.checks.end() && together->fault_low == together->fault_high);
        QCOMPARE(std::ranges::count_if(sayables(m), [](const Sayable& s) { return s.rule == "H2" && s.check == "together"; }), 1);
        QCOMPARE(seen_direction(*together, Direction::high), Direction::low);
        QCOMPARE(seen_direction(*together, Direction::none), Direction::none);
        WhatIsThere truth;
        Visible v;
        v.check = together->id, v.rule = "H2", v.measure = "turn.gap", v.direction = Direction::low, v.spans = {{1, 2, {}}};
        truth.there.push_back(v);
        QCOMPARE(count_seen({{together->id, Direction::high, SaidSide::none, 1}}, truth, m).found(), 1);
        // No two things that are offered of any movement read the same.
        for (const auto& each : movements()) {
            std::set<std::string> words;
            for (const auto& s : sayables(each)) {
                const auto check = std::ranges::find_if(each.checks, [&](const Check& c) { return c.id == s.check; });
                const auto& fault = s.direction == Direction::low ? check->fault_low : check->fault_high;
                if (!fault.empty()) QVERIFY2(words.insert(fault).second, (each.id + ": " + fault).c_str());
            }
        }
    }
    void what_cannot_be_known_is_never_invented() {
        const Bench b;
        QCOMPARE(b.count({{"hand", Direction::high, SaidSide::none, 3}}).said.front(), SeenMark::untold); // one of its sides may be so
        QCOMPARE(b.count({{"hand", Direction::high, SaidSide::left, 3}}).said.front(), SeenMark::invented);
        QCOMPARE(b.count({{"knee_depth", Direction::high, SaidSide::right, 3}}).said.front(), SeenMark::untold); // never told of the right
        QCOMPARE(b.count({{"of another", Direction::high, SaidSide::right, 3}}).said.front(), SeenMark::untold);
    }
    void nothing_said_misses_all_and_nothing_there_is_rightly_nothing() {
        Bench b;
        const auto c = b.count({});
        QCOMPARE(c.missed(), 3);
        QVERIFY(!c.first_right);
        b.truth.there.clear();
        const auto r = round_of(b.count({}), {}, b.truth, b.movement);
        const auto s = sum_of({&r, 1});
        QCOMPARE(s.nothing, 1);
        QCOMPARE(s.nothing_right, 1);
    }

    void exercises_are_as_hard_as_asked_data() {
        QTest::addColumn<int>("level");
        for (int l = 0; l < seeing_levels; ++l) QTest::newRow(seeing_level_name(static_cast<SeeingLevel>(l)).data()) << l;
    }
    /// Of six seeds a level: the number and the size of what is there, all of it said is all found, in order, on the right side and at
    /// the right moment; the other way round it is out of order; and nothing that is within its band is among it.
    void exercises_are_as_hard_as_asked() {
        QFETCH(int, level);
        const auto& task = task_of(static_cast<SeeingLevel>(level));
        std::set<std::string> seen;
        int of_several = 0;
        for (std::uint64_t seed = 1; seed <= 6; ++seed) {
            const auto e = make_exercise(movements(), {static_cast<SeeingLevel>(level), seed, {}, {}});
            QVERIFY2(e, "no exercise");
            const auto& t = e->truth;
            seen.insert(e->movement);
            const Movement& asked = movement(e->movement);
            std::set<std::string> rules;
            for (const auto& v : t.there) {
                rules.insert(v.rule);
                QVERIFY2(v.size <= task.largest && v.size >= task.smallest, v.check.c_str());
                QVERIFY(!v.spans.empty());
                for (const auto& s : v.spans) QVERIFY(s.to_s > s.from_s);
                const auto offers = [&](const Sayable& s) {
                    const auto check = [&](const std::string& id) {
                        return *std::ranges::find_if(asked.checks, [&](const Check& c) { return c.id == id; });
                    };
                    return s.direction == v.direction && same_to_the_eye(check(s.check), check(v.check));
                };
                QVERIFY2(std::ranges::any_of(e->offered, offers), v.check.c_str()); // what is there can be said
            }
            QVERIFY(static_cast<int>(rules.size()) <= task.most);
            QVERIFY(!rules.empty() ? static_cast<int>(rules.size()) >= task.least : task.none > 0);
            QVERIFY(task.offered == 0 || static_cast<int>(e->offered.size()) <= task.offered);
            QVERIFY(std::ranges::find(task.views, e->take.phone.view) != task.views.end());
            auto said = all_of(t);
            auto c = count_seen(said, t, asked);
            QCOMPARE(c.missed(), 0);
            QCOMPARE(c.in_order, c.pairs);
            for (std::size_t i = 0; i < t.there.size(); ++i) {
                QCOMPARE(c.side_right[i].value_or(true), true);
                QCOMPARE(c.moment_right[i], std::optional(true));
            }
            if (!t.there.empty()) QCOMPARE(c.first_right, std::optional(true));
            std::ranges::reverse(said);
            c = count_seen(said, t, asked);
            QCOMPARE(c.in_order, 0);
            of_several += c.pairs;
            for (const auto& o : t.within) {
                const auto open = [&](const auto& list) {
                    return std::ranges::any_of(list, [&](const auto& p) { return p.measure == o.measure || p.rule == o.rule; });
                };
                const bool there =
                    std::ranges::any_of(t.there, [&](const Visible& v) { return v.rule == o.rule || v.measure == o.measure; });
                if (there || open(t.open) || open(t.untold)) continue;
                const SaidSide side = !o.side ? SaidSide::none : *o.side == Side::left ? SaidSide::left : SaidSide::right;
                QCOMPARE(count_seen({{o.check, Direction::high, side, 2}}, t, asked).said.front(), SeenMark::invented);
            }
        }
        QVERIFY(seen.size() >= 4); // not the same movement again and again
        if (task.least > 1) QVERIFY(of_several > 0);
    }
    void the_same_wish_makes_the_same_clip() {
        const ExerciseWish w{SeeingLevel::clear, 77, {}, {}};
        const auto a = make_exercise(movements(), w), b = make_exercise(movements(), w);
        QVERIFY(a && b);
        QCOMPARE(a->movement, b->movement);
        QCOMPARE(a->truth.there.front().time_s, b->truth.there.front().time_s);
        QCOMPARE(a->student()->duration(), b->student()->duration());
        QVERIFY((a->student()->pose(4.3).points[left_knee] - b->student()->pose(4.3).points[left_knee]).norm() == 0);
        const auto other = make_exercise(movements(), {SeeingLevel::clear, 78, {}, {}});
        QVERIFY(other && (other->movement != a->movement || other->take.student.seed != a->take.student.seed));
    }
    void a_rule_and_a_view_can_be_asked_for() {
        for (const char* rule : {"F1", "K1", "W3", "S1", "S3", "A4"}) {
            const auto e = make_exercise(movements(), {SeeingLevel::clear, 5, rule, {}});
            QVERIFY2(e, rule);
            QVERIFY2(std::ranges::any_of(e->truth.there, [&](const Visible& v) { return v.rule == rule; }), rule);
        }
        const auto e = make_exercise(movements(), {SeeingLevel::clear, 5, "S1", View::left});
        QVERIFY(e);
        QCOMPARE(e->take.phone.view, View::left);
        const auto none = make_exercise(movements(), {SeeingLevel::clear, 5, "no rule", {}});
        QVERIFY(!none && none.error().code == Code::cannot_judge);
        std::stop_source stop;
        stop.request_stop();
        const auto stopped = make_exercise(movements(), {}, stop.get_token());
        QVERIFY(!stopped && stopped.error().code == Code::cancelled);
    }
    /// Nothing shows before the later half of the repetitions.
    void at_the_finest_it_is_done_well_first() {
        int with = 0;
        for (std::uint64_t seed = 20; seed < 28; ++seed) {
            const auto e = make_exercise(movements(), {SeeingLevel::fine, seed, {}, {}});
            QVERIFY(e);
            QVERIFY(!e->only_in.empty() && e->only_in.front() > 0);
            // When they begin, by the performance itself.
            const sim::Take take(Score(e->done, e->take.student.score), e->take, e->only_in);
            double begins = 1e9;
            for (const auto& p : take.truth().phases)
                if (p.repetition == e->only_in.front()) begins = std::min(begins, p.start_s);
            for (const auto& v : e->truth.there) {
                ++with;
                QVERIFY2(v.spans.front().from_s > begins - 2, (e->movement + " " + v.check).c_str());
            }
        }
        QVERIFY(with > 0);
    }

    void a_round_goes_to_text_and_back() {
        const Bench b;
        const std::vector<Said> said{{"knee_in", Direction::high, SaidSide::both, 2.4}, {"side", Direction::low, SaidSide::none, 3}};
        SeenRound r = round_of(b.count(said), said, b.truth, b.movement);
        r.view = View::left, r.level = SeeingLevel::fine, r.seed = 18'000'000'000'000'000'000ULL;
        QCOMPARE(r.things.size(), 4U);
        const auto back = parse_round(round_text(r));
        QVERIFY(back && *back == r);
        r.level.reset(), r.first_right.reset();
        QVERIFY(*parse_round(round_text(r)) == r);
    }
    void damaged_rounds_are_refused_with_the_place() {
        const Bench b;
        SeenRound r = round_of(b.count({}), {}, b.truth, b.movement);
        const auto text = round_text(r);
        const auto bad = [&](const char* was, const char* is, const char* where) {
            std::string t = text;
            const auto at = t.find(was);
            if (at == std::string::npos) return false;
            t.replace(at, std::strlen(was), is);
            const auto read = parse_round(t);
            return !read && read.error().context == where;
        };
        QVERIFY(bad("\"view\":\"front\"", "\"view\":\"below\"", "view"));
        QVERIFY(bad("\"direction\":\"high\"", "\"direction\":\"none\"", "direction"));
        QVERIFY(bad("\"mark\":\"\"", "\"mark\":\"won\"", "mark"));
        QVERIFY(bad("\"mark\":\"\"", "\"mark\":\"invented\"", "mark")); // what is there cannot be
        QVERIFY(bad("\"pairs\":0", "\"pairs\":-1", "pairs"));
        QVERIFY(bad("\"in_order\":0", "\"in_order\":9", "in_order")); // of none
        QVERIFY(bad("\"seed\":\"0\"", "\"seed\":\"-4\"", "seed"));
        QVERIFY(bad("\"bevel_seen\":1", "\"bevel_seen\":2", "bevel_seen"));
        for (std::size_t cut = 0; cut < text.size(); ++cut) QVERIFY(!parse_round(text.substr(0, cut)));
        QVERIFY(!parse_round("[" + std::string(100'000, '[')));
        for (const char* t : {"", "null", "7", "{}", "[]"}) QVERIFY(!parse_round(t));
    }
    void tallies_are_of_a_rule_from_a_view() {
        std::vector<SeenRound> all{clean(SeeingLevel::plain), missed(SeeingLevel::plain), missed(SeeingLevel::plain, "K1", View::left),
                                   clean(SeeingLevel::plain)};
        all[0].things.front().moment_right = false;
        all[3].things.push_back({"A4", "hand", Direction::high, false, SeenMark::invented, {}, {}});
        all[3].things.push_back({"S4", "gaze", Direction::high, false, SeenMark::open, {}, {}}); // counts for nothing
        const auto t = tallies(all);
        QCOMPARE(t.size(), 4U);
        QCOMPARE(t[0].rule, std::string("F1")); // from the ground up
        QCOMPARE(t[0].there, 2);
        QCOMPARE(t[0].found, 2);
        QCOMPARE(t[0].moments, 2);
        QCOMPARE(t[0].moments_right, 1);
        QCOMPARE(t[1].rule, std::string("K1"));
        QCOMPARE(t[1].there, 1);
        QCOMPARE(t[1].found, 0);
        QCOMPARE(t[3].invented, 1);
        QCOMPARE(t[3].there, 0);
    }
    void what_is_next_follows_what_was_seen() {
        QCOMPARE(next_of({}).why, SeeNext::Why::first);
        std::vector<SeenRound> all(4, clean(SeeingLevel::clear));
        QCOMPARE(next_of(all).level, SeeingLevel::several);
        all.pop_back(); // three are not enough
        QCOMPARE(next_of(all).why, SeeNext::Why::goes_on);
        all.insert(all.begin() + 1, [] {
            auto r = clean(SeeingLevel::clear);
            r.things.push_back({"A4", "hand", Direction::high, false, SeenMark::invented, {}, {}});
            return r;
        }());
        QCOMPARE(next_of(all).why, SeeNext::Why::goes_on); // found all, and invented one
        all.assign(5, clean(SeeingLevel::fine));
        QCOMPARE(next_of(all).level, SeeingLevel::fine); // there is none finer
        all.assign(3, missed(SeeingLevel::several, "K1", View::left));
        auto next = next_of(all);
        QCOMPARE(next.level, SeeingLevel::clear);
        QCOMPARE(next.why, SeeNext::Why::plainer);
        QCOMPARE(next.rule, std::string("K1"));
        QCOMPARE(next.view, std::optional(View::left));
        QCOMPARE(next.missed, 3);
        all.assign(3, missed(SeeingLevel::plain));
        QCOMPARE(next_of(all).level, SeeingLevel::plain); // there is none plainer
        // Clips of the library have no level, and what was long ago does not count.
        all.assign(4, clean(SeeingLevel::plain));
        for (auto& r : all) r.level.reset();
        QCOMPARE(next_of(all).why, SeeNext::Why::first);
        all.assign(20, clean(SeeingLevel::plain));
        all.insert(all.end(), 9, missed(SeeingLevel::plain));
        QVERIFY(next_of(all).rule.empty());
    }
};
QTEST_GUILESS_MAIN(TestSeeing)
#include "test_seeing.moc"
