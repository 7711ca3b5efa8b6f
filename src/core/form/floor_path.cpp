#include "core/form/floor_path.h"
#include <cmath>

namespace bevel {
namespace {
constexpr double same_m = 0.012; // a heel and a toe so near to where they stood have not moved
}

double FloorPath::ends_off_m() const {
    return way.empty() ? 0 : (way.back().second - way.front().second).norm();
}

FloorPath floor_path(const Score& score, const Solver& solver) {
    FloorPath out;
    std::array<std::optional<std::size_t>, 2> stands; // the print a foot stands in
    const double sw = solver.dims().shoulder_width;
    for (const auto& key : score.keys()) {
        const Pose pose = placed(solver.solve(score.at(key.time)), score.frame_at(key.time), sw);
        Vec3 hips = mid(pose.points, left_hip);
        hips.y() = 0;
        out.way.emplace_back(key.time, hips);
        for (const Side s : {Side::left, Side::right}) {
            auto& at = stands[s == Side::left ? 0 : 1];
            const Contact contact = (s == Side::left ? key.posture.left_foot : key.posture.right_foot).contact;
            if (contact == Contact::off) {
                at.reset();
                continue;
            }
            Vec3 heel = pose.points[static_cast<std::size_t>(on(s, left_heel))],
                 toe = pose.points[static_cast<std::size_t>(on(s, left_toe))];
            heel.y() = toe.y() = 0;
            // A raised heel draws nearer to its toe; the foot stands where it stood.
            if (at && contact == Contact::flat && (out.prints[*at].heel - heel).norm() > same_m) at.reset();
            if (at && (out.prints[*at].toe - toe).norm() > same_m + (contact == Contact::heel ? 0.06 : 0)) at.reset();
            if (!at) {
                at = out.prints.size();
                out.prints.push_back({s, heel, toe, key.repetition, key.time, key.time});
            }
            out.prints[*at].to_s = key.time;
        }
    }
    if (out.prints.empty()) return out;
    out.least = out.most = out.prints.front().heel;
    for (const auto& p : out.prints)
        for (const Vec3& v : {p.heel, p.toe}) out.least = out.least.cwiseMin(v), out.most = out.most.cwiseMax(v);
    return out;
}

} // namespace bevel
