#include "core/align/reference.h"

namespace bevel {
namespace {
ScoreOptions one_of_each() {
    ScoreOptions o;
    o.repetitions = 1;
    return o;
}
} // namespace

Reference::Reference(const Movement& movement, double stature_m)
    : score_(movement, one_of_each()), solver_(BodyDims::of_stature(stature_m), movement.quiet()) {
    Track track;
    const double rate = 30;
    for (int i = 0; i <= static_cast<int>(score_.duration() * rate); ++i) {
        track.time_s.push_back(i / rate);
        track.m.emplace_back(solver_.solve(score_.at(i / rate)).points);
        track.px.emplace_back();
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = stature_m;
    // The reference has no noise to filter; a body solved from a checked movement always makes a motion.
    o.filter = false;
    o.errors = false;
    if (auto m = make_motion(track, o)) motion_ = std::move(*m);
    measures_ = measure(motion_);
    const auto& keys = score_.keys();
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (keys[i].phase < 0) continue;
        auto& b = borders_[static_cast<std::size_t>(keys[i].side)];
        if (b.empty()) b.push_back(keys[i - 1].time);
        b.push_back(keys[i].time);
    }
}

} // namespace bevel
