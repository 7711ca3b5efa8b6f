// Fits the mean offsets between the network's points and the joint centres on simulated figures, and their spread, and prints
// src/media/pose/offsets.inc. Seeds 101 and up are for fitting only; docs/accuracy.md is measured on others.
#include "core/sim/take.h"
#include "media/tracker.h"
#include <cmath>
#include <cstdio>

using namespace bevel;

namespace {

struct Sums {
    double n = 0, along = 0, across = 0, square = 0;
};
constexpr std::array<Point, 14> bases{nose,       left_eye,    left_ear, left_shoulder, left_elbow, left_wrist, left_thumb,
                                      left_index, left_little, left_hip, left_knee,     left_ankle, left_heel,  left_toe};
using Table = std::array<std::array<Sums, 14>, 3>;

void add(Table& table, const BodyPx& found, const BodyPx& truth, View view, double height) {
    for (int p = 0; p < point_count; ++p) {
        const auto q = static_cast<Point>(p);
        const bool left = q != nose && q < right_eye;
        const bool side = view == View::left || view == View::right;
        const bool far = side && q != nose && left != (view == View::left);
        const auto& f = found[static_cast<std::size_t>(p)];
        if (f.visibility < 0.3) continue;
        auto& s = table[static_cast<std::size_t>(!side ? 0 : far ? 2 : 1)][static_cast<std::size_t>(q == nose || left ? q : mirrored(q))];
        const auto [along, across] = offset_axes(found, q, view);
        const Vec2 e(f.x - truth[static_cast<std::size_t>(p)].x, f.y - truth[static_cast<std::size_t>(p)].y);
        // The two axes need not be square to each other: solve e = a * along + c * across where they differ enough.
        double a = e.dot(along), c = 0;
        if (across.norm() > 0.5) {
            const Vec2 normal(-along.y(), along.x());
            const double cross = across.dot(normal);
            if (std::abs(cross) > 0.5) {
                c = e.dot(normal) / cross;
                a = (e - c * across).dot(along);
            }
        }
        s.n += 1;
        s.along += a / height;
        s.across += c / height;
        s.square += e.squaredNorm() / height / height;
    }
}

} // namespace

int main(int argc, char** argv) {
    if (argc < 1) return 2;
    const auto dir = find_data_dir(argv[0]);
    auto finder = BodyFinder::load(find_model_dir(argv[0]), Model::full);
    if (!finder) {
        std::fprintf(stderr, "cannot load the models: %s\n", finder.error().context.c_str());
        return 3;
    }
    Table table{};
    int seed = 101;
    for (const auto& movement : load_movements(dir))
        for (const View view : {View::front, View::back, View::left, View::right}) {
            auto o = sim::take_of(static_cast<std::uint64_t>(seed), 1.55 + 0.05 * (seed % 7));
            ++seed;
            o.phone.view = view;
            o.phone.fps = 5;
            o.phone.height_m = 0.8 + 0.1 * (seed % 6);
            o.student.score.repetitions = 1;
            const sim::Take take(movement, o);
            for (std::size_t i = 0; i < take.frames(); i += 3) {
                finder->reset();
                const auto found = finder->next(take.picture(i));
                if (!found) continue;
                const auto& truth = *take.track().px[i];
                const double height = take.student().dims().stature * 0.887 * sim::Camera::of(o.phone).focal / o.phone.distance_m;
                add(table, *found, truth, view, height);
            }
        }
    std::printf("// Mean offset of the network's points from the joint centres along and across (see offset_axes) and the spread about it, "
                "in body\n"
                "// heights (ankle to ear): front and back; side near; side far. Made by `./run fit-offsets` on simulated figures.\n"
                "constexpr std::array<std::array<PointOffset, 14>, 3> mean_offsets{{\n");
    for (const auto& kind : table) {
        std::printf("    {{\n");
        for (std::size_t p = 0; p < bases.size(); ++p) {
            const Sums& s = kind[p];
            const double a = s.n > 0 ? s.along / s.n : 0, c = s.n > 0 ? s.across / s.n : 0;
            // The axes are not quite square to each other, so the spread is a little approximate: never below 1 %.
            const double sd = s.n > 0 ? std::max(0.010, std::sqrt(std::max(0.0, s.square / s.n - a * a - c * c) / 2)) : 0.02;
            std::printf("        {%.5f, %.5f, %.5f}, // %s\n", a, c, sd, std::string(point_name(bases[p])).c_str());
        }
        std::printf("    }},\n");
    }
    std::printf("}};\n");
    return 0;
}
