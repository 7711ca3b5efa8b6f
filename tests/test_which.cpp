// Which movement a clip shows: the named one competes with the others, from takes whose movement is known.
#include "core/review/free.h"
#include "core/review/trend.h"
#include "support/altered.h"
#include "support/synthetic.h"
#include <QtTest>

using namespace bevel;

namespace {

const std::vector<Movement>& library() {
    static const std::vector<Movement> all = load_movements(test::data_dir());
    return all;
}
const Movement& called(const std::string& id) {
    return *std::find_if(library().begin(), library().end(), [&](const Movement& m) { return m.id == id; });
}
constexpr double stature = 1.65;

sim::TakeOptions student(std::uint64_t seed) {
    auto o = sim::take_of(seed, stature);
    o.student.score.repetitions = 2;
    o.phone.view = View::front;
    return o;
}
test::Altered take_of(const Movement& m, std::uint64_t seed) {
    const sim::Take take(m, student(seed));
    return {take.truth().time_s, take.truth().points};
}
/// One student, one movement after the other.
test::Altered joined(const test::Altered& a, const test::Altered& b) {
    test::Altered out = a;
    const double step = a.time_s[1] - a.time_s[0], later = a.time_s.back() + step - b.time_s.front();
    for (std::size_t k = 0; k < b.points.size(); ++k) {
        out.time_s.push_back(b.time_s[k] + later);
        out.points.push_back(b.points[k]);
    }
    return out;
}
Result<Competed> reviewed(const test::Altered& points, const std::string& named) {
    ReviewOptions o;
    o.view = View::three_d;
    o.stature_m = stature;
    static const Rivals rivals = rivals_of(library(), stature);
    return make_review_among(points.track(), called(named), rivals, o);
}

} // namespace

class TestWhich : public QObject {
    Q_OBJECT
private slots:
    void what_is_named_rightly_is_judged_data() {
        QTest::addColumn<QString>("id");
        for (std::size_t k = 0; k < library().size(); k += 4)
            QTest::newRow(library()[k].id.c_str()) << QString::fromStdString(library()[k].id);
    }
    void what_is_named_rightly_is_judged() {
        QFETCH(QString, id);
        const auto r = reviewed(take_of(called(id.toStdString()), 7), id.toStdString());
        QVERIFY(r.has_value());
        QVERIFY2(r->better.empty(), r->better.empty() ? "" : r->better.front().movement.c_str());
        QVERIFY(r->review->held_back.empty());
        QVERIFY(!r->review->findings.empty());
    }
    void done_by_half_it_is_still_what_it_is() {
        for (const char* id : {"squat_and_scoop", "part_the_horses_mane", "palms_to_the_sky", "side_shift"}) {
            VersionChange change;
            change.range = 0.5;
            const auto half = make_version(called(id), Version("half", "", change));
            QVERIFY(half.has_value());
            const auto r = reviewed(take_of(*half, 11), id);
            QVERIFY2(r.has_value(), id);
            QVERIFY2(r->review->held_back.empty(), id);
            // Asked about at most.
            QVERIFY2(std::all_of(r->better.begin(), r->better.end(), [](const Elsewhere& e) { return e.near; }), id);
        }
    }
    void what_is_named_wrongly_is_held_back_or_refused() {
        int found = 0, held = 0;
        for (const auto& [shown, named] : {std::pair{"brush_and_push", "part_the_horses_mane"},
                                           {"hip_circles", "bounce_and_shake"},
                                           {"walk_forward", "follow_step"},
                                           {"clouds_with_a_step", "clouds_in_place"},
                                           {"palms_to_the_sky", "opening_rise_and_sink"},
                                           {"squat_and_scoop", "opening_rise_and_sink"},
                                           {"side_shift", "gaze_at_the_moon"}}) {
            const auto r = reviewed(take_of(called(shown), 21), named);
            if (!r) continue; // nothing in it is like the named one
            ++found;
            // Nothing is said of it as the named one, unless it is asked first.
            const bool asked = !r->better.empty() && r->better.front().near;
            QVERIFY2(asked || !r->review->held_back.empty(), shown);
            if (r->review->held_back.empty()) continue;
            ++held;
            QCOMPARE(QString::fromStdString(r->review->held_back), QLatin1String(shown));
            QVERIFY(r->review->findings.empty());
            QVERIFY(!r->review->measures.series.empty()); // what was measured stands
            QVERIFY(figures_kept_of(*r->review) == 0);
        }
        QVERIFY2(found >= 3 && held >= 2, qPrintable(QString("%1 %2").arg(found).arg(held)));
    }
    void of_two_in_one_clip_neither_is_judged_as_the_other() {
        const auto first = take_of(called("clouds_with_a_step"), 5), second = take_of(called("clouds_in_place"), 5);
        const auto both = joined(first, second);
        const double border = first.time_s.back();
        for (const auto& [named, begins, ends] :
             {std::tuple{"clouds_with_a_step", 0.0, border}, std::tuple{"clouds_in_place", border, both.time_s.back()}}) {
            const auto r = reviewed(both, named);
            QVERIFY2(r.has_value(), named);
            QVERIFY2(r->review->held_back.empty(), named);
            QVERIFY(!r->review->alignment.repetitions.empty());
            for (const auto& rep : r->review->alignment.repetitions) {
                const double middle = 0.5 * (rep.start_s + rep.end_s);
                QVERIFY2(middle > begins - 1 && middle < ends + 1, qPrintable(QString("%1 %2").arg(named).arg(middle)));
            }
            for (const auto& n : r->review->alignment.left_out)
                if (n.why == NotJudged::Why::other_movement)
                    QVERIFY(0.5 * (n.from_s + n.to_s) < begins || 0.5 * (n.from_s + n.to_s) > ends);
        }
    }
    void what_was_left_out_stays_out_and_can_be_let_in() {
        const auto track = take_of(called("brush_and_push"), 21).track();
        ReviewOptions o;
        o.view = View::three_d;
        o.stature_m = stature;
        const auto plain = make_review(track, called("part_the_horses_mane"), o);
        QVERIFY(plain.has_value());
        const auto& reps = (*plain)->alignment.repetitions;
        o.elsewhere = {{reps.front().start_s, reps.front().end_s, "brush_and_push", 50, false}};
        const auto without = make_review(track, called("part_the_horses_mane"), o);
        QVERIFY(without.has_value());
        QCOMPARE((*without)->alignment.repetitions.size(), reps.size() - 1);
        QVERIFY(!(*without)->alignment.left_out.empty());
        // What is only asked about stays.
        o.elsewhere.front().near = true;
        QCOMPARE((*make_review(track, called("part_the_horses_mane"), o))->alignment.repetitions.size(), reps.size());
    }
    void a_stop_ends_it() {
        std::stop_source stop;
        stop.request_stop();
        ReviewOptions o;
        o.view = View::three_d;
        o.stature_m = stature;
        const auto r = make_review_among(take_of(called("hip_circles"), 3).track(), called("hip_circles"), library(), o, stop.get_token());
        QVERIFY(r.has_value() && r->better.empty());
    }
    void practice_of_no_known_movement_has_figures_and_safety_alone() {
        QVERIFY(!free_practice().checks.empty());
        for (const auto& c : free_practice().checks) QVERIFY2(c.severity == Severity::safety || c.rule == "S5", c.id.c_str());
        QVERIFY(std::none_of(library().begin(), library().end(), [](const Movement& m) { return m.id == free_id; }));
        ReviewOptions o;
        o.view = View::three_d;
        o.stature_m = stature;
        const auto review_of = [&](const sim::TakeOptions& who, const char* id) {
            const sim::Take take(called(id), who);
            return make_review(test::Altered{take.truth().time_s, take.truth().points}.track(), free_practice(), o);
        };
        for (const char* id : {"side_shift", "hip_circles", "squat_and_scoop", "part_the_horses_mane"}) {
            const auto r = review_of(student(9), id);
            QVERIFY2(r.has_value(), id);
            QVERIFY((*r)->held_back.empty() && elsewhere(**r, library()).empty());
            QVERIFY(!(*r)->measures.series.empty());
            for (const auto& f : (*r)->findings)
                QVERIFY2(f.verdict != Verdict::outside,
                         qPrintable(QString("%1 %2 %3").arg(QLatin1String(id), f.check.c_str()).arg(f.value)));
        }
        // Knees that fall in are told, whatever is meant.
        auto who = student(9);
        who.student.faults.push_back({sim::Fault::knee_in, 20, std::nullopt});
        const auto r = review_of(who, "side_shift");
        QVERIFY(r.has_value());
        const auto& found = (*r)->findings;
        QVERIFY(std::any_of(found.begin(), found.end(),
                            [](const Finding& f) { return f.check == "knee_in" && f.verdict == Verdict::outside; }));
        // Only where both feet stand.
        for (const auto& rep : (*r)->alignment.repetitions) QVERIFY(rep.end_s - rep.start_s >= 1.5 && rep.end_s - rep.start_s <= 10.001);
        const auto walk = review_of(student(9), "walk_forward");
        QVERIFY(walk.has_value());
        QVERIFY(figures_of(**walk).empty()); // another thing each time: no line through them
        for (const auto& f : (*walk)->findings) QVERIFY2(f.verdict != Verdict::outside, f.check.c_str());
    }
    void what_is_kept_is_read_and_what_is_broken_is_none() {
        const WhichKept kept{"a", {{1.5, 9, "b", 12.5, true}, {11, 12, "c", 400, false}}};
        const auto again = parse_which(which_json(kept));
        QVERIFY(again.has_value());
        QCOMPARE(again->movement, kept.movement);
        QCOMPARE(again->better.size(), std::size_t{2});
        QCOMPARE(again->better[0].to_s, 9.0);
        QVERIFY(again->better[0].near && !again->better[1].near);
        for (const char* bad : {"", "x", "[]", "{}", R"({"movement":3,"better":[]})", R"({"movement":"a","better":{}})",
                                R"({"movement":"a","better":[1]})", R"({"movement":"a","better":[{"movement":"b"}]})",
                                R"({"movement":"a","better":[{"movement":"b","from_s":5,"to_s":4,"odds":9}]})",
                                R"({"movement":"a","better":[{"movement":"b","from_s":1e999,"to_s":4,"odds":9}]})",
                                R"({"movement":"a","better":[{"movement":"b","from_s":1,"to_s":4,"odds":-1}]})"})
            QVERIFY2(!parse_which(bad), bad);
        QVERIFY(!parse_which("{\"movement\":\"" + std::string(1 << 17, 'a') + "\",\"better\":[]}"));
    }

private:
    static std::size_t figures_kept_of(const Review& r) { return figures_of(r).size(); }
};

QTEST_GUILESS_MAIN(TestWhich)
#include "test_which.moc"
