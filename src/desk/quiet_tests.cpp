#include "desk/quiet_tests.h"
#include "desk/open_review.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {
constexpr double watch_s = 0.4, ruler_cm = 1; // what a stop watch in the hand and a ruler on the wall are sure to, one sigma
}

Result<KeptTest> test_of_clip(const Library& library, const Forms& forms, std::int64_t id, QuietTest test) {
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
    const auto motion = make_motion(seen_by(*track, options), motion_options(options));
    if (!motion) return tl::unexpected(motion.error());
    const auto taken = take_quiet_test(test, *motion, measure(*motion, {options.sex}), clip->states);
    if (!taken) return tl::unexpected(taken.error());
    KeptTest out;
    out.person = who.id, out.clip = id, out.test = test;
    out.day = clip->filmed_on.empty() ? clip->arrived_on : clip->filmed_on;
    out.view = view_name(motion->view);
    out.figures = taken->figures;
    out.notes = taken->notes;
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
    case QuietTest::quiet_stand:
        break; // sway is not seen by eye
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
