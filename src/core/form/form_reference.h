// What a student is held against in a linked form: the course of the whole, and of each of its parts as a model of its own.
#pragma once
#include "core/align/reference.h"
#include "core/form/form.h"

namespace bevel {

/// The body of a linked form at a time of its score, where it stands on the floor, m.
Pose pose_of(const Score& score, const Solver& solver, double t);

class FormReference {
public:
    FormReference(const LinkedCourse& course, double stature_m);
    const LinkedCourse& course() const { return course_; }
    const Score& score() const { return score_; }
    const Solver& solver() const { return solver_; }
    const Motion& motion() const { return motion_; }
    const Measures& measures() const { return measures_; }
    /// Of each part, in the order of the course; its phases are the join's and its own.
    const std::vector<ReferenceModel>& models() const { return models_; }
    /// Times of the whole at which a part begins and ends.
    std::pair<double, double> span(std::size_t part) const;

private:
    LinkedCourse course_;
    Score score_;
    Solver solver_;
    Motion motion_;
    Measures measures_;
    std::vector<ReferenceModel> models_;
};

} // namespace bevel
