// Fits where the network puts its points against the joints, on drawn figures, and prints src/core/ground/offsets.inc.
//   bevel-fit-offsets --collect FOLDER   films the figures and keeps the raw tracks (about 20 minutes)
//   bevel-fit-offsets --fit FOLDER       fits them
// People of three families are fitted; the fourth (lofted) is kept for measuring, in docs/accuracy.md and in the tests.
#include "core/files.h"
#include "core/ground/derive.h"
#include "core/movement/movement.h"
#include "core/review/points_csv.h"
#include "core/signal/signal.h"
#include "core/sim/take.h"
#include "media/tracker.h"
#include "store/library.h"
#include "store/track_blob.h"
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <map>

using namespace bevel;

namespace {

constexpr std::array<Point, 14> bases{nose,       left_eye,    left_ear, left_shoulder, left_elbow, left_wrist, left_thumb,
                                      left_index, left_little, left_hip, left_knee,     left_ankle, left_heel,  left_toe};

struct Person {
    std::string movement;
    sim::TakeOptions take;
    std::string file;
};

/// Everybody who is filmed for fitting: every family, build and view, some turned between the views, some stooped, bent and slack.
std::vector<Person> people(const std::vector<Movement>& movements) {
    std::vector<Person> out;
    for (int i = 0; i < 96; ++i) {
        Person p;
        p.movement = movements[static_cast<std::size_t>(i) % movements.size()].id;
        Rng rng(static_cast<std::uint64_t>(i) + 3100);
        auto& t = p.take;
        t = sim::take_of(static_cast<std::uint64_t>(i) + 300, rng.uniform(1.2, 1.95));
        t.family = static_cast<sim::Looks::Family>(i % 4);
        t.student.legs = rng.uniform(0.95, 1.05);
        t.student.hips = rng.uniform(0.9, 1.15);
        t.student.stand_lean = rng.uniform(-3, 8);
        t.student.stand_head = rng.uniform(0, 0.06);
        t.student.toe_out = rng.uniform(-4, 20);
        t.student.score.repetitions = 1;
        if (i % 5 == 0) t.student.faults.push_back({sim::Fault::lean_forward, rng.uniform(5, 25), std::nullopt});
        constexpr std::array<View, 6> views{View::left, View::front, View::right, View::left, View::back, View::right};
        t.phone.view = views[static_cast<std::size_t>(i / 4) % views.size()];
        t.phone.turn_deg = rng.uniform(-25, 25);
        t.phone.height_m = rng.uniform(0.7, 1.5);
        t.phone.tilt_deg = rng.uniform(-2, 10);
        t.phone.distance_m = rng.uniform(3.2, 5.0);
        t.phone.fps = 5;
        p.file = "person-" + std::to_string(i) + ".track";
        out.push_back(p);
    }
    return out;
}

int collect(const std::filesystem::path& folder, const char* program) {
    const auto movements = load_movements(find_data_dir(program));
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    for (const auto& p : people(movements)) {
        if (std::filesystem::exists(folder / p.file)) continue;
        const auto m = std::find_if(movements.begin(), movements.end(), [&](const Movement& x) { return x.id == p.movement; });
        const sim::Take take(*m, p.take);
        Track t = take.track();
        t.model = "full";
        t.model_version = BodyFinder::version;
        finder->reset();
        for (std::size_t i = 0; i < take.frames(); ++i) t.px[i] = i % 2 == 0 ? finder->next(take.picture(i)) : std::nullopt;
        if (auto ok = write_whole(folder / p.file, pack_track(t)); !ok) return 3;
        std::fprintf(stderr, "%s\n", p.file.c_str());
    }
    return 0;
}

/// Weighted least squares of an error on (1, bend), and what remains: within a person and between persons.
struct Row {
    int person;
    double weight, bend, along, across;
    bool left;
};

void print_fit(const std::vector<Row>& rows, bool bends, const char* name) {
    Eigen::Matrix2d fit = Eigen::Matrix2d::Zero();
    for (int round = 0; round < 8; ++round) { // what a skirt hides or another limb draws away counts less (Huber 1964)
        Eigen::Matrix2d a = Eigen::Matrix2d::Zero(), r = Eigen::Matrix2d::Zero();
        double sum = 0;
        for (const auto& q : rows) {
            const Eigen::Vector2d u(1, bends ? q.bend : 0);
            const double off = (Eigen::Vector2d(q.along, q.across) - fit.transpose() * u).norm();
            const double w = q.weight * (round > 0 && off > 0.015 ? 0.015 / off : 1);
            a += w * u * u.transpose();
            r += w * u * Eigen::RowVector2d(q.along, q.across);
            sum += w;
        }
        if (sum < 20) {
            std::printf("        {0, 0, 0, 0, 0.02, 0.02, 0.02, 0.02}, // %s\n", name);
            return;
        }
        a(1, 1) += 1e-3 * sum + (bends ? 0 : 1);
        fit = a.ldlt().solve(r);
    }
    struct Own {
        double w = 0, a = 0, c = 0, aa = 0, cc = 0;
    };
    std::map<int, Own> of;
    for (const auto& q : rows) {
        const Eigen::Vector2d u(1, bends ? q.bend : 0);
        const Eigen::Vector2d e = Eigen::Vector2d(q.along, q.across) - fit.transpose() * u;
        auto& o = of[q.person];
        o.w += q.weight;
        o.a += q.weight * e.x();
        o.c += q.weight * e.y();
        o.aa += q.weight * e.x() * e.x();
        o.cc += q.weight * e.y() * e.y();
    }
    // Spreads by medians over the persons, along and across: of squares the median is 0.455 of the variance.
    std::array<signal::Series, 2> means, withins;
    for (const auto& [id, o] : of) {
        if (o.w < 3) continue;
        means[0].push_back(std::pow(o.a / o.w, 2));
        means[1].push_back(std::pow(o.c / o.w, 2));
        withins[0].push_back(std::max(0.0, o.aa / o.w - std::pow(o.a / o.w, 2)));
        withins[1].push_back(std::max(0.0, o.cc / o.w - std::pow(o.c / o.w, 2)));
    }
    auto between = [&](std::size_t k) { return std::max(0.002, std::sqrt(signal::median(means[k]) / 0.455)); };
    auto within = [&](std::size_t k) { return std::max(0.002, std::sqrt(signal::median(withins[k]))); };
    std::printf("        {%.5f, %.5f, %.5f, %.5f, %.5f, %.5f, %.5f, %.5f}, // %s\n", fit(0, 0), fit(0, 1), fit(1, 0), fit(1, 1), within(0),
                within(1), between(0), between(1), name);
}

int fit(const std::filesystem::path& folder, const char* program) {
    const auto movements = load_movements(find_data_dir(program));
    std::array<std::array<std::vector<Row>, 14>, 4> rows;
    int person = 0;
    for (const auto& p : people(movements)) {
        ++person;
        if (p.take.family == sim::Looks::Family::lofted) continue; // kept for measuring
        const auto bytes = read_text(folder / p.file, 64U << 20U);
        if (!bytes) continue;
        const auto found = unpack_track(*bytes);
        if (!found) continue;
        const auto m = std::find_if(movements.begin(), movements.end(), [&](const Movement& x) { return x.id == p.movement; });
        const sim::Take take(*m, p.take);
        const auto azimuth = rough_azimuth(*found);
        const double height = body_height_px(*found);
        for (std::size_t i = 0; i < take.frames() && i < found->frames(); ++i) {
            if (!found->px[i]) continue;
            for (int k = 0; k < point_count; ++k) {
                const auto q = static_cast<Point>(k);
                const auto &f = (*found->px[i])[static_cast<std::size_t>(k)], &truth = (*take.track().px[i])[static_cast<std::size_t>(k)];
                if (f.visibility < 0.3) continue;
                const Vec2 e(f.x - truth.x, f.y - truth.y);
                if (e.norm() > 0.12 * height) continue; // another limb was taken for this one
                for (const auto& [seen, weight] : seen_as(q, azimuth[i])) {
                    if (weight < 0.5) continue; // each kind is learnt where it prevails
                    const auto axes = offset_axes(*found->px[i], q, seen, azimuth[i]);
                    const bool left = q != nose && q < right_eye;
                    rows[static_cast<std::size_t>(seen)][static_cast<std::size_t>(q == nose || left ? q : mirrored(q))].push_back(
                        {person, weight, axes.bend, e.dot(axes.along) / height, e.dot(axes.across) / height, left});
                }
            }
        }
    }
    if (std::getenv("BEVEL_CORRELATION")) {
        for (std::size_t kind = 0; kind < 2; ++kind)
            for (std::size_t b = 0; b < bases.size(); ++b) {
                std::map<int, std::array<double, 6>> of; // per person: sums left n,a,c right n,a,c
                for (const auto& q : rows[kind][b]) {
                    auto& o = of[q.person];
                    const std::size_t k = q.left ? 0 : 3;
                    o[k] += 1, o[k + 1] += q.along, o[k + 2] += q.across;
                }
                double n = 0, la = 0, ra = 0, lc = 0, rc = 0;
                for (const auto& [id, o] : of)
                    if (o[0] > 3 && o[3] > 3) n += 1, la += o[1] / o[0], ra += o[4] / o[3], lc += o[2] / o[0], rc += o[5] / o[3];
                la /= n, ra /= n, lc /= n, rc /= n;
                double va = 0, wa = 0, ca = 0, vc = 0, wc = 0, cc = 0;
                for (const auto& [id, o] : of)
                    if (o[0] > 3 && o[3] > 3) {
                        const double x = o[1] / o[0] - la, y = o[4] / o[3] - ra, u = o[2] / o[0] - lc, v = o[5] / o[3] - rc;
                        va += x * x, wa += y * y, ca += x * y, vc += u * u, wc += v * v, cc += u * v;
                    }
                std::fprintf(stderr, "%zu %s n %.0f along sd %.4f %.4f r %.2f across sd %.4f %.4f r %.2f\n", kind,
                             std::string(point_name(bases[b])).c_str(), n, std::sqrt(va / n), std::sqrt(wa / n), ca / std::sqrt(va * wa),
                             std::sqrt(vc / n), std::sqrt(wc / n), cc / std::sqrt(vc * wc));
            }
    }
    std::printf(
        "// Made by `./run fit-offsets` on 72 drawn people of three families. Mean place of the network's points against the joints, "
        "along\n"
        "// and across (see offset_axes), their growth with the bend of the knee, and what remains within a clip and between persons, in\n"
        "// body heights (ankle to ear): front, back, side near, side far.\n"
        "constexpr std::array<std::array<PointOffset, 14>, 4> mean_offsets{{\n");
    for (const auto& kind : rows) {
        std::printf("    {{\n");
        for (std::size_t b = 0; b < bases.size(); ++b) print_fit(kind[b], bases[b] >= left_hip, std::string(point_name(bases[b])).c_str());
        std::printf("    }},\n");
    }
    std::printf("}};\n");
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    if (argc == 3 && std::strcmp(argv[1], "--collect") == 0) return collect(argv[2], argv[0]);
    if (argc == 3 && std::strcmp(argv[1], "--fit") == 0) return fit(argv[2], argv[0]);
    std::fprintf(stderr, "bevel-fit-offsets --collect FOLDER | --fit FOLDER\n");
    return 2;
}
