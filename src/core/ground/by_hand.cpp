#include "core/ground/by_hand.h"
#include "core/movement/solver.h"
#include <map>

namespace bevel {

BodyPx standing_body(View view, bool mirrored, int width, int height) {
    constexpr double stature = 1.7, of_picture = 0.7, feet_at = 0.88;
    const Body3 b = Solver(BodyDims::of_stature(stature), Posture{}).rest().points;
    const double scale = of_picture * height / stature;
    BodyPx out;
    for (std::size_t i = 0; i < out.size(); ++i) {
        double right = b[i].x(); // from the front the student's left is on the right
        if (view == View::back) right = -right;
        if (view == View::left) right = -b[i].z();
        if (view == View::right) right = b[i].z();
        if (mirrored) right = -right;
        out[i].x = 0.5 * width + scale * right;
        out[i].y = feet_at * height - scale * b[i].y();
        out[i].visibility = 1;
    }
    return out;
}

std::vector<std::uint32_t> bodies_by_hand(const Layers& layers) {
    std::map<std::uint32_t, int> set;
    for (const auto& e : layers.edits)
        if (!e.filled) ++set[e.frame];
    std::vector<std::uint32_t> out;
    for (const auto& [frame, points] : set)
        if (points >= point_count) out.push_back(frame);
    return out;
}

} // namespace bevel
