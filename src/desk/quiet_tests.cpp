#include "desk/quiet_tests.h"
#include "core/measure/own_moment.h"
#include "core/practice/plan.h"
#include "desk/open_review.h"
#include "desk/right_moments.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {
// What a stop watch in the hand, a ruler on the wall and an eye that estimates are sure to, one sigma.
constexpr double watch_s = 0.4, ruler_cm = 1, by_eye_deg = 7, by_eye_share = 5;
} // namespace

namespace {

struct InClip {
    KeptTest kept;
    Motion motion;
    double from_s = 0, to_s = 0;
};

Result<InClip> in_clip(const Library& library, const Forms& forms, std::int64_t id, QuietTest test) {
    const auto clip = library.clips().get(id);
    if (!clip) return tl::unexpected(clip.error());
    const auto track = library.tracks().load(id);
    if (!track) return tl::unexpected(track.error());
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    Person who;
    for (const auto& p : *people)
        if (p.id == clip->person) who = p;
    if (who.id == 0) return fail(Code::not_found, "person");
    const ReviewOptions options = review_options(forms, *clip, who);
    auto motion = make_motion(seen_by(*track, options), motion_options(options));
    if (!motion) return tl::unexpected(motion.error());
    const auto taken = take_quiet_test(test, *motion, measure(*motion, {options.sex}), clip->states);
    if (!taken) return tl::unexpected(taken.error());
    KeptTest out;
    out.person = who.id, out.clip = id, out.test = test;
    out.day = clip->filmed_on.empty() ? clip->arrived_on : clip->filmed_on;
    out.view = view_name(motion->view);
    out.figures = taken->figures;
    out.notes = taken->notes;
    return InClip{std::move(out), std::move(*motion), taken->from_s, taken->to_s};
}

} // namespace

Result<KeptTest> test_of_clip(const Library& library, const Forms& forms, std::int64_t id, QuietTest test) {
    auto here = in_clip(library, forms, id, test);
    if (!here) return tl::unexpected(here.error());
    return std::move(here->kept);
}

Result<PersonNeutral> own_from_test(const Library& library, const Forms& forms, const KeptTest& test, PersonNeutral known) {
    if (!tells_own(test.test)) return fail(Code::bad_value, "test");
    if (test.test == QuietTest::comfortable_ranges) {
        const auto smaller = [&](const char* id, double unit, OwnBounds bounds, std::optional<Comfort>& to) {
            std::optional<double> least;
            int told = 0;
            bool sided = false;
            for (const auto& f : test.figures)
                if (f.id == id) least = std::min(least.value_or(1e9), f.value * unit), ++told, sided = sided || f.side;
            // Of one side alone it is not known how far the other one goes.
            if (least && (!sided || told > 1) && *least >= bounds.least && *least <= bounds.most) to = Comfort{*least, test.clip};
        };
        smaller("squat", 0.01, depth_bounds, known.depth);
        smaller("turn", 1, twist_bounds, known.twist);
        smaller("bend", 1, bend_bounds, known.bend);
        return known;
    }
    if (test.clip == 0) return fail(Code::cannot_judge, "typed");
    const auto here = in_clip(library, forms, test.clip, test.test);
    if (!here) return tl::unexpected(here.error());
    RightMoment m;
    m.clip = test.clip;
    m.time_s = 0.5 * (here->from_s + here->to_s);
    m.view = here->motion.view;
    m.version = own_figures_version;
    m.figures = figures_at(here->motion, m.time_s);
    if (m.figures.empty() || m.view == View::oblique) return fail(Code::cannot_judge, "view");
    return with_moment(std::move(known), m);
}

LadderAdvice ladder_advice(const std::vector<KeptTest>& tests, int step) {
    constexpr int closed_eyes = balance_steps; // the last step: never advised by a figure
    LadderAdvice out;
    if (step <= 0) return out;
    const auto held = [](const KeptTest& t) { return std::find(t.notes.begin(), t.notes.end(), "supported") != t.notes.end(); };
    const auto newest = std::find_if(tests.rbegin(), tests.rend(), [](const KeptTest& t) { return t.test == QuietTest::one_leg_stand; });
    if (newest == tests.rend() || held(*newest)) return out;
    out.day = newest->day;
    for (const auto& t : test_trends(tests)) {
        const auto& p = t.points.back();
        if (p.movement != quiet_test_name(QuietTest::one_leg_stand) || p.clip != newest->id || !t.last || !changed_for_sure(*t.last))
            continue;
        if (t.last->value < 0 && step > 1) return {LadderAdvice::Why::down, step - 1, newest->day};
    }
    int ended = 0;
    for (const auto& f : newest->figures)
        if (f.id == "time" && f.side && f.value >= one_leg_most_s - 1e-6) ++ended;
    if (ended == 2 && step + 1 < closed_eyes) return {LadderAdvice::Why::up, step + 1, newest->day};
    return out;
}

std::vector<TestFigure> figures_to_type(QuietTest test) {
    switch (test) {
    case QuietTest::one_leg_stand:
        return {{"time", "s", Side::left, 0, watch_s}, {"time", "s", Side::right, 0, watch_s}};
    case QuietTest::sit_to_stand:
        return {{"rises", "", {}, 0, 0}, {"first_to_last", "s", {}, 0, watch_s}};
    case QuietTest::heel_raises:
        return {{"raises", "", {}, 0, 0}, {"raise_height", "cm", {}, 0, ruler_cm}};
    case QuietTest::comfortable_ranges:
        return {{"squat", "%", {}, 0, by_eye_share},
                {"turn", "deg", Side::left, 0, by_eye_deg},
                {"turn", "deg", Side::right, 0, by_eye_deg},
                {"bend", "deg", Side::left, 0, by_eye_deg},
                {"bend", "deg", Side::right, 0, by_eye_deg}};
    case QuietTest::quiet_stand:
    case QuietTest::neutral_stand:
        break; // neither is seen by eye
    }
    return {};
}

std::vector<FigureTrend> test_trends(const std::vector<KeptTest>& tests) {
    std::vector<KeptFigure> all;
    for (const auto& t : tests)
        for (const auto& f : t.figures) {
            KeptFigure k;
            k.clip = t.id; // of the test: two of one day are told apart
            k.day = t.day, k.view = t.view;
            k.movement = std::string(quiet_test_name(t.test));
            k.check = k.measure = f.id;
            k.unit = f.unit;
            k.side = f.side ? std::string(side_name(*f.side)) : std::string();
            k.value = f.value, k.own = f.sigma;
            all.push_back(std::move(k));
        }
    return trends_of(std::move(all));
}

bool changed_for_sure(const ChangeOfFigure& c) {
    return std::abs(c.value) > c.detectable;
}

std::string steadier_side(const std::vector<KeptTest>& tests) {
    for (auto t = tests.rbegin(); t != tests.rend(); ++t) {
        if (t->test != QuietTest::one_leg_stand) continue;
        const TestFigure *left = nullptr, *right = nullptr;
        for (const auto& f : t->figures)
            if (f.id == "time" && f.side) (*f.side == Side::left ? left : right) = &f;
        if (!left || !right) continue;
        // Held, or ended before it was over, it tells of the support and not of the leg.
        if (std::find(t->notes.begin(), t->notes.end(), "supported") != t->notes.end()) return {};
        const double apart = left->value - right->value, error = 1.96 * std::hypot(left->sigma, right->sigma);
        if (std::abs(apart) <= std::max(error, 2.0)) return {}; // two seconds are a day's mood
        return apart > 0 ? "left" : "right";
    }
    return {};
}

} // namespace bevel
