// The reference figure: the movement's own description performed by a body of the student's height, with its measures.
#pragma once
#include "core/measure/measures.h"
#include "core/movement/score.h"
#include "core/movement/solver.h"

namespace bevel {

class Reference {
public:
    Reference(const Movement& movement, double stature_m);
    const Movement& movement() const { return score_.movement(); }
    const Motion& motion() const { return motion_; }
    const Measures& measures() const { return measures_; }
    Pose pose(double t) const { return solver_.solve(score_.at(t)); }
    const Solver& solver() const { return solver_; }
    double rate() const { return motion_.rate; }

    /// Times of one repetition of a side: borders of its phases, first start to last end (phases + 1 values).
    const std::vector<double>& borders(Side side) const { return borders_[static_cast<std::size_t>(side)]; }

private:
    Score score_;
    Solver solver_;
    Motion motion_;
    Measures measures_;
    std::array<std::vector<double>, 2> borders_;
};

} // namespace bevel
