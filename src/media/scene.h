// What the pictures of a clip show besides the body: light, and how the background moves against the camera.
#pragma once
#include "core/review/limits.h"
#include "core/sim/film.h"

namespace bevel {

/// Looks at pictures in order of time. One stretch of a clip each.
class SceneWatch {
public:
    static constexpr double every_s = 0.25, people_every_s = 3;
    /// Whether the picture at this time is to be looked at.
    bool wants(double time_s) const { return samples_.empty() || time_s - samples_.back().time_s >= every_s - 1e-6; }
    bool wants_people(double time_s) const { return time_s - counted_ >= people_every_s; }
    /// `people` -1: not counted.
    void look(const sim::Image& picture, double time_s, const std::optional<BodyPx>& body, int people);
    const std::vector<SceneSample>& samples() const { return samples_; }

private:
    struct Small {
        int width = 0, height = 0;
        double scale = 1; // pixels of the picture for one of these
        std::vector<float> luma;
        std::array<int, 4> body{0, 0, 0, 0}; // left, top, right, bottom, in small pixels
    };
    static Small shrink(const sim::Image& picture, const std::optional<BodyPx>& body);
    static Vec2 shift_between(const Small& before, const Small& now);
    std::vector<SceneSample> samples_;
    Small last_;
    double counted_ = -1e9;
};

} // namespace bevel
