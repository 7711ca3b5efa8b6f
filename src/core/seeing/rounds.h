// What somebody saw in clip after clip: kept as counts by rule and view, and what to practise next.
#pragma once
#include "core/seeing/exercise.h"

namespace bevel {

/// One clip that was looked at, as it is kept.
struct SeenRound {
    std::int64_t id = 0, assistant = 0;
    std::int64_t clip = 0; // of the library; 0: a virtual student's, or the clip is gone
    std::string day, movement;
    View view = View::front;
    std::optional<SeeingLevel> level; // of a virtual student's
    std::uint64_t seed = 0;
    struct Thing {
        std::string rule, check;
        Direction direction = Direction::none;
        bool there = false;           // else it was only said
        std::optional<SeenMark> mark; // of what was said; none: missed
        std::optional<bool> side_right, moment_right;
        bool operator==(const Thing&) const = default;
    };
    std::vector<Thing> things; // what is there in its order, then what was said beyond it
    int pairs = 0, in_order = 0;
    std::optional<bool> first_right;
    bool operator==(const SeenRound&) const = default;
};
SeenRound round_of(const SeenCount& count, const std::vector<Said>& said, const WhatIsThere& truth, const Movement& movement);
/// Everything but id, assistant, clip and day, as text and back; bad_value with the place.
std::string round_text(const SeenRound& round);
Result<SeenRound> parse_round(const std::string& text);

/// Counts over rounds, of one rule from one view.
struct SeenTally {
    std::string rule;
    View view = View::front;
    int there = 0, found = 0, invented = 0;
    int sides = 0, sides_right = 0, moments = 0, moments_right = 0; // of those that were found
};
/// By rule from the ground up, then by view.
std::vector<SeenTally> tallies(std::span<const SeenRound> rounds);
struct SeenSum {
    int rounds = 0, there = 0, found = 0, invented = 0, pairs = 0, in_order = 0, firsts = 0, firsts_right = 0, nothing = 0,
        nothing_right = 0;
};
SeenSum sum_of(std::span<const SeenRound> rounds);

/// What to look at next, by what was seen so far (newest first).
struct SeeNext {
    SeeingLevel level = SeeingLevel::plain;
    enum class Why { first, goes_on, finer, plainer } why = Why::first;
    std::string rule; // missed or invented most, of the last ones; empty: none stands out
    std::optional<View> view;
    int missed = 0, invented = 0, there = 0; // of that rule from that view
};
SeeNext next_of(std::span<const SeenRound> newest_first);

} // namespace bevel
