#include "core/form/form_reference.h"

namespace bevel {

Pose pose_of(const Score& score, const Solver& solver, double t) {
    return placed(solver.solve(score.at(t)), score.frame_at(t), solver.dims().shoulder_width);
}

FormReference::FormReference(const LinkedCourse& course, double stature_m)
    : course_(course), score_(course_.score()), solver_(BodyDims::of_stature(stature_m), course_.stand) {
    Track track;
    const double rate = 30;
    for (int i = 0; i <= static_cast<int>(score_.duration() * rate); ++i) {
        track.time_s.push_back(i / rate);
        track.m.emplace_back(pose_of(score_, solver_, i / rate).points);
        track.px.emplace_back();
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = stature_m;
    o.filter = false;
    o.errors = false;
    if (auto m = make_motion(track, o)) motion_ = std::move(*m);
    measures_ = measure(motion_);
    for (std::size_t k = 0; k < course_.parts.size(); ++k) {
        const LinkedPart& part = course_.parts[k];
        ReferenceModel model;
        model.movement = part.movement->id;
        model.views = part.movement->best_views;
        model.phases = phases_of(*part.movement);
        model.stature = stature_m;
        model.hip_height = motion_.neutral.hip_height;
        if (motion_.frames() > 0) model.quiet = motion_.own(0);
        std::vector<double> borders;
        for (std::size_t i = 1; i < course_.keys.size(); ++i) {
            if (course_.keys[i].repetition != static_cast<int>(k)) continue;
            if (borders.empty()) borders.push_back(course_.keys[i - 1].time);
            borders.push_back(course_.keys[i].time);
        }
        // Whichever side is asked for, it is the one that leads here.
        model.course[0] = course_of(motion_, measures_, std::move(borders));
        model.course[1] = model.course[0];
        models_.push_back(std::move(model));
    }
}

std::pair<double, double> FormReference::span(std::size_t part) const {
    const auto& c = models_.at(part).course[0];
    return {c.from(), c.to()};
}

} // namespace bevel
