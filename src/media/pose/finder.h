// Finds the body on pictures: a person detector and a landmark network, tracking from frame to frame.
#pragma once
#include "core/body/points.h"
#include "core/sim/film.h"
#include "media/pose/network.h"

namespace bevel {

enum class Model { lite, full, heavy };
std::optional<Model> model_from_name(std::string_view name);
std::string_view model_name(Model m);

/// Square part of the picture that holds the body: centre, side in pixels, rotation in radians.
struct Region {
    double cx = 0, cy = 0, side = 0, angle = 0;
};

class BodyFinder {
public:
    /// Of the networks and of how their points are read; kept with every track.
    static constexpr int version = 2;
    /// Models are read from `dir` (pose_detector.tflite, pose_landmark_*.tflite).
    static Result<BodyFinder> load(const std::filesystem::path& dir, Model model);

    /// Body on the next picture of a clip, raw network points in pixels; nothing when nobody is found. The person followed is the one
    /// found first (largest and nearest to the middle, or to `hint`), and the nearest to the last place when lost and found again.
    std::optional<BodyPx> next(const sim::Image& picture);
    void reset() {
        region_.reset();
        last_.reset();
        misses_ = 0;
    }
    /// Those whom the detector sees that are at least a third as large as the largest, largest first.
    std::vector<Region> people(const sim::Image& picture);
    /// How many people the detector sees that are at least half as large as the largest.
    int count_people(const sim::Image& picture);
    /// Place the user pointed at (pixels), to choose among several people.
    void choose(double x, double y) { hint_ = Vec2(x, y); }

private:
    BodyFinder(Network detector, Network landmark) : detector_(std::move(detector)), landmark_(std::move(landmark)) {}
    std::vector<Region> detect(const sim::Image& picture, double x0, double y0, double w, double h);
    std::optional<Region> find_person(const sim::Image& picture);
    std::optional<BodyPx> landmarks(const sim::Image& picture, const Region& region, Region& next);

    Network detector_, landmark_;
    std::optional<Region> region_, last_;
    std::optional<Vec2> hint_;
    int misses_ = 0;
};

/// $BEVEL_MODELS, else the models folder beside or above the program.
std::filesystem::path find_model_dir(const std::filesystem::path& program);

} // namespace bevel
