// Repetitions and sides found in a clip, and the moment of the movement at every frame.
#pragma once
#include "core/align/reference.h"

namespace bevel {

struct PhaseSpan {
    std::string id;
    double start_s = 0, end_s = 0;
};

struct Repetition {
    Side side = Side::left;
    double start_s = 0, end_s = 0;
    double cost = 0; // mean squared distance to the reference in standard deviations; 0 is equal
    std::vector<PhaseSpan> phases;
    std::vector<double> student_s, reference_s; // the warp: equal moments, both increasing
    /// Moment of the reference that belongs to time t of the clip.
    double to_reference(double t) const;
    double to_student(double reference_time) const;
};

struct Alignment {
    std::vector<Repetition> repetitions; // in order of time, not overlapping
    const Repetition* at(double t) const;
};

/// cannot_judge "no_repetition" when nothing in the clip is like the movement.
Result<Alignment> align(const Motion& motion, const Measures& measures, const Reference& reference);

/// One step of a warping path: indices into both sequences.
using Path = std::vector<std::pair<int, int>>;

/// Dynamic time warping with slopes 1/3 to 3 inside a band of `band` of the length (Sakoe and Chiba 1978). Rows are moments.
/// Empty when no path fits. `cost` becomes the mean distance along the path.
Path warp(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b, double band, double& cost);

} // namespace bevel
