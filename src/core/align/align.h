// Repetitions and sides found in a clip, and the moment of the movement at every frame.
#pragma once
#include "core/align/reference.h"

namespace bevel {

struct PhaseSpan {
    std::string id;
    double start_s = 0, end_s = 0;
    std::size_t index = 0;                     // in the movement
    double start_sigma_s = 0, end_sigma_s = 0; // how surely its ends are told: what is left unexplained there over the figure's speed
};

/// Nothing moves where the figure would: slower than a quarter of its own speed about that moment, at the student's pace.
struct Stop {
    double from_s = 0, to_s = 0;
    std::size_t phase = 0; // index in the movement
    bool asked = false;    // the figure comes to rest there, or holds
    double length() const { return to_s - from_s; }
};

struct Repetition {
    /// The side that leads; nothing where both sides look alike in this view, or are.
    std::optional<Side> side;
    std::size_t entry = 0; // of the form
    double start_s = 0, end_s = 0;
    double cost = 0;                            // mean squared distance to the reference in standard deviations; 0 is equal
    bool cut = false;                           // the clip begins or ends in it; `phases` are those that are seen whole
    std::vector<PhaseSpan> phases;              // in order of time
    std::vector<double> student_s, reference_s; // the warp: equal moments, both increasing; what is held still is passed over evenly
    std::vector<Stop> stops;                    // of more than 0.4 s, in order of time
    /// The side whose reference it is compared with.
    Side reference_side() const { return side.value_or(Side::left); }
    /// Moment of the reference that belongs to time t of the clip.
    double to_reference(double t) const;
    double to_student(double reference_time) const;
};

/// A stretch that was taken for a repetition and is not judged.
struct NotJudged {
    enum class Why {
        cut,           // the clip begins or ends in it, and too little of it is seen
        unlike,        // it is not like the movement from its beginning to its end
        other_movement // another movement explains it better
    };
    double from_s = 0, to_s = 0;
    Why why = Why::unlike;
    std::string movement; // id of the other one
};
std::string_view not_judged_name(NotJudged::Why w);

struct Alignment {
    std::vector<Repetition> repetitions; // in order of time, not overlapping
    std::vector<NotJudged> left_out;     // in order of time
    const Repetition* at(double t) const;
};

/// A sequence of movements; a single movement is a form of one entry. Entries may be repeated, left out or swapped, at a price.
struct FormEntry {
    const ReferenceModel* movement = nullptr; // outlives the alignment's making
    std::optional<Side> side;                 // only that one; else both, in any order
    std::size_t joins = 0;                    // so many of its first phases may have been done in another way, or not at all
};
struct Form {
    std::vector<FormEntry> entries;
    bool competes = false;  // with others for the clip: held to its own size, and halts are not looked for
    bool any_order = false; // whatever comes, in no order: as in free practice
    bool linked = false;    // one after another in this order, each led by its own side: held to its own size
};

/// bad_value "form" without entries or with one that has no movement; cannot_judge "no_repetition" when nothing in the clip is like it.
Result<Alignment> align(const Motion& motion, const Measures& measures, const Form& form);

/// One step of a warping path: indices into both sequences.
using Path = std::vector<std::pair<int, int>>;

/// Dynamic time warping with slopes 1/3 to 3 inside a band of `band` of the length (Sakoe and Chiba 1978). Rows are moments.
/// Empty when no path fits. `cost` becomes the mean distance along the path.
Path warp(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b, double band, double& cost);

} // namespace bevel
