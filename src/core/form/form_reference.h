// What a student is held against in a linked form: the course of the whole, and of each of its parts as a model of its own.
#pragma once
#include "core/align/reference.h"
#include "core/form/form.h"

namespace bevel {

/// The body of a linked form at a time of its score, where it stands on the floor, m.
Pose pose_of(const Score& score, const Solver& solver, double t);

/// The way a body points on each frame, rad: hips, shoulders and feet together, slower than half a second. Points in metres.
std::vector<double> facing_by_body(const Motion& motion);

class FormReference : public Reference {
public:
    FormReference(const LinkedCourse& course, double stature_m);
    const LinkedCourse& course() const { return course_; }
    /// Of each part, in the order of the course; its phases are the join's and its own. The way faced is that of the part's frame.
    const std::vector<ReferenceModel>& models() const { return models_; }
    /// The same without measures, facing as the body points: what a clip is aligned with, whose own frames nobody knows yet.
    const std::vector<ReferenceModel>& models_by_body() const { return by_body_; }
    /// As models, without measures, seen by a camera that stands still: so far to own left from the way faced at the start (rad), so far
    /// from where it begins (m).
    std::vector<ReferenceModel> models_seen(double azimuth, double distance_m) const;
    /// The way faced at a time of the whole, rad to own left from the start.
    double facing(double t) const;
    /// Whether it turns at all.
    bool turns() const;
    /// Times of the whole at which a part begins and ends.
    std::pair<double, double> span(std::size_t part) const;
    /// Number of the first phase of a part among those of the whole.
    std::size_t first_phase(std::size_t part) const { return first_phase_.at(part); }

private:
    LinkedCourse course_;
    std::vector<ReferenceModel> models_, by_body_;
    std::vector<std::size_t> first_phase_;
};

} // namespace bevel
