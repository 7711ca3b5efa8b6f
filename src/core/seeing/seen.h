// What somebody who learns to see says of a clip, and what is there to be seen: counted fairly, in counts alone. Nothing is a score.
#pragma once
#include "core/judge/finding_key.h"
#include "core/review/review.h"

namespace bevel {

enum class SaidSide { none, left, right, both };
std::string_view said_side_name(SaidSide s);

/// One thing that is said of a clip, of the checks of its movement. In a list of them the one comes first that would be said first.
struct Said {
    std::string check;
    Direction direction = Direction::none;
    SaidSide side = SaidSide::none; // none: not said, or of the whole body
    double time_s = 0;              // the moment it is said of
    bool operator==(const Said&) const = default;
};

/// What can be said of clips of a movement: one for each thing that is seen, whichever of its checks tells it; from the ground up.
struct Sayable {
    std::string check, rule; // the first check that tells it
    Direction direction = Direction::none;
    Family family = Family::feet;
    bool sided = false; // seen on a side
    bool operator==(const Sayable&) const = default;
};
/// Rules of which a picture shows nothing are left out: breath (B2, B3) and the person's own range (R1).
std::vector<Sayable> sayables(const Movement& movement);

/// Whether two checks tell the same thing in the same direction to somebody who looks: one measure whatever the rule it counts for, or
/// measures of one rule that an eye does not tell apart (the knee's line against the toes and its fall inward; the weight at the end of a
/// shift and as the other foot leaves).
bool same_to_the_eye(const Check& a, const Check& b);
/// Where both ends of a check are the same to see (hips and shoulders that do not turn together, whichever goes ahead), the one they are
/// counted under.
Direction seen_direction(const Check& check, Direction direction);

/// One remark that is there to be seen.
struct Visible {
    std::string check, rule, measure; // of the finding that shows it most
    Direction direction = Direction::none;
    Family family = Family::feet;
    Severity severity = Severity::shape;
    bool left = false, right = false; // neither: it has no side
    struct Span {
        double from_s = 0, to_s = 0;
        std::optional<Side> side;
    };
    std::vector<Span> spans; // in which it shows, in order of time
    double time_s = 0;       // where it shows most
    double size = 0;         // beyond its band, in sizes of the band (Finding::scale)
    std::size_t finding = 0; // in the review
};

/// What a clip shows to a fair judge.
struct WhatIsThere {
    std::vector<Visible> there; // in the order in which it would be said
    /// What neither can be missed nor is invented when it is said: at the edge, in too few repetitions, agreed or set aside (open), or not
    /// to be told from this view (untold). And what is within its band: whoever says that sees what is not there.
    struct Other {
        std::string check, rule, measure;
        std::optional<Side> side;
        Direction direction = Direction::none; // of an open one that has one
    };
    std::vector<Other> open, untold, within;
};
/// `set_aside`: findings that the instructor does not count. Findings of the second clip of a pair are not looked at: one clip is seen.
WhatIsThere what_is_there(const Review& review, const std::vector<FindingKey>& set_aside = {});

enum class SeenMark {
    found,    // said and there
    again,    // said of what was said before
    invented, // said, and within its band for sure
    open,     // said of what is at the edge, or not counted by the instructor
    untold,   // said of what cannot be told from this side
};
std::string_view seen_mark_name(SeenMark m);

struct SeenCount {
    std::vector<SeenMark> said;
    std::vector<std::optional<std::size_t>> found_by; // of each that is there: what was said of it first; none: missed
    std::vector<std::optional<bool>> side_right;      // of each that was found and has a side
    std::vector<std::optional<bool>> moment_right;    // of each that was found: said of a moment at which it shows, or within moment_s
    int pairs = 0, in_order = 0;     // of two that were found, and are not of one family: in the order in which they would be said
    std::optional<bool> first_right; // whether what was said first is what would be said first; none without anything there, or said
    int found() const;
    int missed() const { return static_cast<int>(found_by.size()) - found(); }
    int of(SeenMark m) const;
};
/// The time a hand needs between seeing and saying.
inline constexpr double moment_s = 0.5;

SeenCount count_seen(const std::vector<Said>& said, const WhatIsThere& truth, const Movement& movement);

} // namespace bevel
