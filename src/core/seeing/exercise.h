// A clip of a virtual student with faults that are known, as hard as is asked: for those who learn to see.
#pragma once
#include "core/seeing/seen.h"
#include "core/sim/take.h"
#include <span>
#include <stop_token>

namespace bevel {

/// From plain to fine.
enum class SeeingLevel { plain, clear, several, small, fine };
inline constexpr int seeing_levels = 5;
std::string_view seeing_level_name(SeeingLevel l);
std::optional<SeeingLevel> seeing_level_from_name(std::string_view name);

struct SeeingTask {
    int least = 1, most = 1;              // things that are there
    double none = 0;                      // how often nothing is
    double smallest = 0, largest = 0;     // of each, in sizes of its band
    bool in_some = false;                 // only in some of the repetitions
    std::vector<View> views{View::front}; // filmed from one of these
    int offered = 0;                      // so many things to choose from; 0: all that the movement has
};
const SeeingTask& task_of(SeeingLevel level);

struct ExerciseWish {
    SeeingLevel level = SeeingLevel::plain;
    std::uint64_t seed = 1;
    std::string rule;         // one that is to be there; empty: any
    std::optional<View> view; // none: one of the level's
};

/// The same wish always makes the same clip.
struct Exercise {
    std::string movement;
    SeeingLevel level = SeeingLevel::plain;
    std::uint64_t seed = 1;
    sim::TakeOptions take;
    Movement done; // what the student does: the movement, perhaps with a way of its own to go wrong
    std::vector<int> only_in;
    Track track;                          // exact points as the camera has them
    std::shared_ptr<const Review> review; // of these, by the view's own errors
    WhatIsThere truth;
    std::vector<Visible> hidden;  // there to a judge who sees all sides, and not to be told from this one; not counted
    std::vector<Sayable> offered; // from the ground up
    std::shared_ptr<const sim::Student> student() const;
};

/// Movements are tried in an order that the seed draws until one of them shows what the level asks for. cannot_judge "exercise" where none
/// does (as for a rule that they do not speak of), or not within some half a minute; cancelled.
Result<Exercise> make_exercise(std::span<const Movement> movements, const ExerciseWish& wish, const std::stop_token& stop = {});

} // namespace bevel
