// Quiet tests: a stand on one leg, sitting to standing, a quiet stand, raising the heels, how far with ease, how one stands. Found and
// counted in a clip, each figure with its error. They are compared with the same person's own past and with nothing else: there is no norm,
// no score and no age in here.
#pragma once
#include "core/measure/measures.h"
#include <span>

namespace bevel {

enum class QuietTest { one_leg_stand, sit_to_stand, quiet_stand, heel_raises, comfortable_ranges, neutral_stand };
inline constexpr int quiet_test_count = 6;
std::string_view quiet_test_name(QuietTest t);
std::optional<QuietTest> quiet_test_from_name(std::string_view name);

inline constexpr double one_leg_most_s = 30;     // a stand on one leg ends there
inline constexpr double quiet_stand_least_s = 8; // a shorter stand tells no sway
inline constexpr double neutral_least_s = 3;     // a shorter stand is a stop on the way
inline constexpr double quiet_stand_s = 30;      // of a longer one the stillest stretch of this length

/// One figure of a test. `id` and unit: time (s, of a side), rises (count), first_to_last (s, all rises), rise (s, the middle one of them),
/// raises (count), raise_height (cm, of a side), sway_sideways, sway_forward (mm, root mean square of the body centre about its mean),
/// sway_area (cm2, 95 % ellipse). How far with ease, each kept for half a second: squat (%, the hips sink of their standing height), turn
/// (deg, shoulders against hips, of a side), bend (deg, sideways, of a side), overhead (%, wrist over the floor of the stature, of a side).
/// How one stands, medians of a quiet stand: head_ahead (cm, ears of shoulders), ear_over_shoulder (cm, of a side), gaze (deg, nose over
/// the ears), upper_back, low_back (deg, of marked points), lean, lean_side (deg, to own left), shoulders (deg, left up), weight_left (%),
/// feet_apart (SW), toes_out (deg, of a side). Counts have a sigma of 0; what stays with a person is not in the sigma of these two: they
/// are held against the same person's alone.
struct TestFigure {
    std::string id, unit;
    std::optional<Side> side;
    double value = 0, sigma = 0;
    bool operator==(const TestFigure&) const = default;
};

struct QuietTestTaken {
    QuietTest test = QuietTest::quiet_stand;
    double from_s = 0, to_s = 0; // of the clip
    std::vector<TestFigure> figures;
    /// "supported" (a hand was on a support, or a seat carried, for some of it), "ended" (a stand on one leg reached its end), "cut" (the
    /// clip begins or ends in it: the time is at least that), "one_side" (only one leg was stood on).
    std::vector<std::string> notes;
    const TestFigure* find(std::string_view id, std::optional<Side> side = std::nullopt) const;
};

/// Whether a test says for good how its person is (core/ground/own_neutral.h).
inline constexpr bool tells_own(QuietTest t) {
    return t == QuietTest::comfortable_ranges || t == QuietTest::neutral_stand;
}

/// cannot_judge "not_shown" where nothing in the clip is that test, "view" where this view does not show what it counts, "too_short" for a
/// quiet stand of less than quiet_stand_least_s (neutral_least_s).
Result<QuietTestTaken> take_quiet_test(QuietTest test, const Motion& motion, const Measures& measures,
                                       std::span<const SupportState> states = {});

} // namespace bevel
