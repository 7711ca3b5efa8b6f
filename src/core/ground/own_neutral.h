// What is right for one person where no body is the standard: how the head sits over the shoulders, how far the shoulders hang below the
// ears, the gaze, the curve of the back; and how far the person comfortably goes. From moments that the instructor marked as right, from a
// test, or set by hand: never learned from practice by itself, or the habit would become the yardstick.
#pragma once
#include "core/body/points.h"
#include "core/result.h"
#include <array>
#include <cstdint>
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace bevel {

/// head: middle of the ears ahead of the middle of the shoulders, a share of the stature; gap: ear over shoulder, a share of the stature;
/// gaze: line from ear to nose over the horizontal, degrees; back: rounding of the upper back, hollow of the low back, degrees; stoop:
/// forward lean of a back that is known to be stooped, degrees, by hand only.
enum class OwnPart { head, gap_left, gap_right, gaze, back_upper, back_lower, stoop };
inline constexpr std::size_t own_part_count = 7;
inline constexpr std::size_t most_moments = 40;
std::string_view own_part_name(OwnPart p);

struct OwnFigure {
    double value = 0, sigma = 0;
    bool by_hand = false; // in truth, not as this view shows it
    bool of_clip = false; // from the very clip that is judged: no praise rests on it
};
struct OwnFigures : std::array<std::optional<OwnFigure>, own_part_count> {
    const std::optional<OwnFigure>& of(OwnPart p) const { return (*this)[static_cast<std::size_t>(p)]; }
    std::optional<OwnFigure>& of(OwnPart p) { return (*this)[static_cast<std::size_t>(p)]; }
    bool empty() const;
};
/// The part that a measure is held against, by its id in the catalogue; nothing for all others.
std::optional<OwnPart> own_part_of(std::string_view measure, std::optional<Side> side);

/// Raised when the same points, put on the ground, give other figures than before: moments are then worked out anew. Held by a test.
inline constexpr int own_figures_version = 3;

/// A moment at which the person stands as is right for them.
struct RightMoment {
    std::int64_t clip = 0; // of the library
    double time_s = 0;
    View view = View::front; // from where the camera saw it
    int version = 0;         // own_figures_version of the figures
    bool of_clip = false;    // of the clip that is judged; not kept
    OwnFigures figures;
};

/// How far somebody goes with ease: from a test, or said.
struct Comfort {
    double value = 0;
    std::int64_t clip = 0; // the test; 0: set by hand
};

struct PersonNeutral {
    std::vector<RightMoment> moments; // at most most_moments
    OwnFigures by_hand;
    /// depth: how far the hips sink, a share of their standing height; twist: shoulders against hips, degrees; bend: sideways, degrees.
    std::optional<Comfort> depth, twist, bend;

    bool empty() const { return moments.empty() && by_hand.empty() && !depth && !twist && !bend; }
    /// What holds for a clip seen from there: what was set by hand, else the mean of the moments seen alike (left and right alike: points
    /// are off by the same amount), with the error of that mean. Moments of the clip that is judged count only where there is no other.
    OwnFigures seen_from(View v) const;
    /// Other ids of clips; 0: a clip that is not here.
    void renumber(const std::function<std::int64_t(std::int64_t)>& clip);
    /// For judging that clip: without ranges that were told from it, its own moments named as such. Nobody is held against themselves.
    PersonNeutral for_clip(std::int64_t clip) const;
};

/// The text form, JSON. Empty for nothing.
std::string neutral_text(const PersonNeutral& n);
/// unreadable for what is no such text; figures beyond what a body can be, and more than 40 moments, are refused (bad_value).
Result<PersonNeutral> parse_neutral(const std::string& text);

/// Bounds of what can be set, by hand or from a test.
struct OwnBounds {
    double least, most;
};
OwnBounds bounds_of(OwnPart p);
inline constexpr OwnBounds depth_bounds{0.02, 0.6}, twist_bounds{5, 90}, bend_bounds{5, 60};

} // namespace bevel
