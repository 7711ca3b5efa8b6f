// Errors by view, distance, tilt, roll, light, shake, clothes, body, frame rate, lens and turn: over sixty short films of simulated
// students, each found by the body finder, and measured raw, with the floor and the vertical marked, with the points mended by hand, and
// paired with the film from the other side. Prints a part of docs/accuracy.md. With --keep FOLDER the found points are kept there and used
// again.
#include "core/files.h"
#include "core/ground/plan.h"
#include "core/measure/measures.h"
#include "media/steady.h"
#include "media/tracker.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <cstdio>
#include <cstring>
#include <map>
#include <random>

using namespace bevel;

namespace {

struct Cell {
    std::string axis, level;
    sim::TakeOptions options; // from the front; the twin is filmed from the left
};

std::vector<Cell> cells() {
    std::vector<Cell> out;
    auto add = [&](const char* axis, const char* level, std::uint64_t seed, double stature, auto change) {
        Cell c{axis, level, sim::take_of(seed, stature)};
        c.options.student.score.repetitions = 1;
        c.options.phone.width = 960;
        c.options.phone.height = 540;
        c.options.phone.fps = 15;
        c.options.phone.distance_m = 4.2;
        c.options.to_s = 6.5;
        c.options.family = sim::Looks::Family::lofted; // nothing was fitted on it
        change(c.options);
        out.push_back(std::move(c));
    };
    using O = sim::TakeOptions;
    add("usual", "4.2 m", 401, 1.70, [](O&) {});
    add("usual", "4.2 m, another student", 402, 1.64, [](O&) {});
    add("usual", "4.2 m, a third", 413, 1.78, [](O&) {});
    for (const auto& [level, d] : {std::pair{"3.4 m", 3.4}, {"5.5 m", 5.5}, {"7 m", 7.0}})
        add("distance", level, 403, 1.70, [d = d](O& o) { o.phone.distance_m = d; });
    for (const auto& [level, t, h] :
         {std::tuple{"level, 0.6 m high", 0.0, 0.6}, {"8° down, 1.5 m high", 8.0, 1.5}, {"14° down, 2 m high", 14.0, 2.0}})
        add("tilt", level, 404, 1.72, [t = t, h = h](O& o) { o.phone.tilt_deg = t, o.phone.height_m = h, o.phone.distance_m = 4.8; });
    for (const auto& [level, r] : {std::pair{"3°", 3.0}, {"7°", 7.0}})
        add("roll", level, 405, 1.68, [r = r](O& o) { o.phone.roll_deg = r; });
    add("roll", "3°, no upright edges", 405, 1.68, [](O& o) { o.phone.roll_deg = 3, o.phone.bare = true; });
    for (const auto& [level, e] : {std::pair{"a third", 0.33}, {"a fifth", 0.2}, {"half more", 1.5}})
        add("light", level, 406, 1.70, [e = e](O& o) { o.phone.exposure = e; });
    for (const auto& [level, s] : {std::pair{"3 px", 3.0}, {"8 px", 8.0}, {"16 px", 16.0}})
        add("shake", level, 407, 1.70, [s = s](O& o) { o.phone.shake_px = s; });
    for (const auto& [level, f] : {std::pair{"close", sim::Looks::Family::rounded},
                                   {"boxy jacket", sim::Looks::Family::boxy},
                                   {"long skirt", sim::Looks::Family::draped}})
        add("clothes", level, 408, 1.66, [f = f](O& o) { o.family = f; });
    for (const auto& [level, s, l] : {std::tuple{"1.50 m", 1.50, 1.0}, {"1.90 m", 1.90, 1.0}, {"long legs", 1.72, 1.07}})
        add("body", level, 409, s, [l = l](O& o) { o.student.legs = l; });
    for (const auto& [level, f] : {std::pair{"10 pictures/s", 10.0}, {"25 pictures/s", 25.0}})
        add("frame rate", level, 410, 1.70, [f = f](O& o) { o.phone.fps = f; });
    for (const auto& [level, f] : {std::pair{"wide", 0.62}, {"long", 1.15}})
        add("lens", level, 411, 1.70, [f = f](O& o) { o.phone.focal = f, o.phone.distance_m = f > 1 ? 5.6 : 3.4; });
    for (const auto& [level, t] : {std::pair{"15°", 15.0}, {"30°", 30.0}, {"20° to the other side", -20.0}})
        add("turned", level, 412, 1.70, [t = t](O& o) { o.phone.turn_deg = t; });
    return out;
}

struct Figure {
    const char *id, *name;
    std::optional<Side> side;
    double shown; // factor
};
const std::array<Figure, 5> figures{{{"stance.width", "stance width, SW", std::nullopt, 1},
                                     {"stance.length", "stance length, SW", std::nullopt, 1},
                                     {"knee.flexion", "knee bend, °", Side::left, 1},
                                     {"trunk.lean", "forward lean, °", std::nullopt, 1},
                                     {"trunk.side", "side bend, °", std::nullopt, 1}}};

struct Seen {
    double error = 0, sigma = 0;
};
/// Error and sigma by frame of every figure.
using Errors = std::array<std::map<std::size_t, Seen>, figures.size()>;

Errors measured(const Track& track, const sim::Take& take, double stature) {
    Errors out;
    MotionOptions mo;
    mo.stature_m = stature;
    const auto motion = make_motion(track, mo);
    if (!motion) return out;
    const auto ms = measure(*motion, {});
    const auto quiet = test::quiet_truth(take, 0, 0.8);
    for (std::size_t i = 4; i < track.frames(); i += 3) {
        const auto truth = test::frame_truth(take, i, quiet);
        for (std::size_t k = 0; k < figures.size(); ++k) {
            const auto& f = figures[k];
            const auto* s = ms.find(f.id, f.side);
            const std::string key = std::string(f.id) + (f.side ? *f.side == Side::left ? ".left" : ".right" : "");
            const auto it = truth.value.find(key);
            if (!s || !s->samples[i].present() || it == truth.value.end()) continue;
            out[k][i] = {s->samples[i].value - it->second, s->samples[i].sigma};
        }
    }
    return out;
}

/// What a person would mark: a mat of 1.8 by 1.2 m under the student, each corner to a pixel and a half, and the true vertical.
void mark_ground(Track& t, const sim::Take& take, const sim::PhoneOptions& phone, std::mt19937& rng) {
    std::normal_distribution<double> pixel(0, 1.5);
    const auto camera = sim::Camera::of(phone);
    FloorMark mat;
    mat.wide_m = 1.8;
    mat.long_m = 1.2;
    const std::array<Vec3, 4> flat{Vec3(-0.9, 0, 0.6), Vec3(0.9, 0, 0.6), Vec3(0.9, 0, -0.6), Vec3(-0.9, 0, -0.6)};
    for (std::size_t i = 0; i < 4; ++i) mat.corners[i] = camera.project(flat[i]) + Vec2(pixel(rng), pixel(rng));
    CameraPrior prior{t.width, t.height, std::nullopt, std::nullopt, 0};
    if (take.track().vertical) {
        prior.vertical = take.track().vertical;
        prior.vertical->roll_sigma = 0.004;
        prior.vertical->slope_sigma = 1e-5;
    }
    if (const auto plan = plan_from(mat, prior)) t.layers.plan = *plan;
}

/// Ankles, knees, hips and shoulders set by hand on every fifth frame to two pixels, those between filled straight.
void mend(Track& t, const sim::Take& take, std::mt19937& rng) {
    std::normal_distribution<double> pixel(0, 2);
    const std::size_t step = 5;
    for (const Point p : {left_ankle, right_ankle, left_heel, right_heel, left_toe, right_toe, left_knee, right_knee, left_hip, right_hip,
                          left_shoulder, right_shoulder}) {
        Vec2 last = Vec2::Zero();
        for (std::size_t i = 0; i < t.frames(); i += step) {
            const auto& q = (*take.track().px[i])[p];
            const Vec2 now(q.x + pixel(rng), q.y + pixel(rng));
            for (std::size_t k = i >= step ? i - step + 1 : i; k < i; ++k) {
                const double u = static_cast<double>(k - (i - step)) / step;
                const Vec2 at = (1 - u) * last + u * now;
                t.layers.edits.push_back({static_cast<std::uint32_t>(k), p, at.x(), at.y(), true});
            }
            t.layers.edits.push_back({static_cast<std::uint32_t>(i), p, now.x(), now.y(), false});
            last = now;
        }
    }
    std::sort(t.layers.edits.begin(), t.layers.edits.end(), [](const PointEdit& a, const PointEdit& b) { return a.frame < b.frame; });
}

Result<Track> found(const sim::Take& take, const sim::PhoneOptions& phone, const std::filesystem::path& models,
                    const std::filesystem::path& kept) {
    if (!kept.empty() && std::filesystem::exists(kept)) {
        const auto bytes = read_text(kept, 64U << 20U);
        return bytes ? unpack_track(*bytes) : tl::unexpected(bytes.error());
    }
    const auto file = std::filesystem::temp_directory_path() / "bevel-grid.mp4";
    auto writer = ClipWriter::create(file, phone.width, phone.height, phone.fps, 26);
    if (!writer) return tl::unexpected(writer.error());
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return tl::unexpected(ok.error());
    if (auto ok = writer->finish(); !ok) return tl::unexpected(ok.error());
    TrackOptions options;
    options.model_dir = models;
    auto made = track_clip(file, options);
    if (made && phone.shake_px > 2)
        if (auto steady = steady_clip(file, made->track)) made->track.layers.steady = std::move(steady->frames);
    std::filesystem::remove(file);
    if (!made) return tl::unexpected(made.error());
    if (!kept.empty()) (void)write_whole(kept, pack_track(made->track));
    return std::move(made->track);
}

std::string cell(std::vector<Seen> all, double shown) {
    if (all.size() < 5) return "–";
    std::vector<double> e;
    double inside = 0;
    for (const auto& s : all) {
        e.push_back(std::abs(s.error));
        inside += std::abs(s.error) <= 2 * s.sigma ? 1 : 0;
    }
    std::nth_element(e.begin(), e.begin() + static_cast<std::ptrdiff_t>(e.size() / 2), e.end());
    const double m = e[e.size() / 2] * shown;
    char text[48];
    std::snprintf(text, sizeof text,
                  shown > 1             ? "%.0f (%.0f)"
                  : m < 1 && shown == 1 ? "%.2f (%.0f)"
                                        : "%.1f (%.0f)",
                  m, 100 * inside / static_cast<double>(all.size()));
    return text;
}

} // namespace

int main(int argc, char** argv) {
    std::filesystem::path keep;
    if (argc > 2 && std::strcmp(argv[1], "--keep") == 0) {
        keep = argv[2];
        std::filesystem::create_directories(keep);
    }
    const std::filesystem::path models = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
    const auto movement = test::movement("part_the_horses_mane");
    enum How { raw, marked, mended, both };
    const std::array<const char*, 4> how_names{"raw", "ground marked", "points mended", "paired"};
    struct Row {
        std::string axis, level, view;
        std::array<Errors, 4> of;
    };
    std::vector<Row> rows;
    int films = 0, refused = 0;
    for (const auto& c : cells()) {
        std::array<Errors, 2> sides;
        const std::size_t first = rows.size();
        for (const View v : {View::front, View::left}) {
            auto o = c.options;
            o.phone.view = v;
            const sim::Take take(movement, o);
            std::string name = c.axis + "-" + c.level + "-" + std::string(view_name(v)) + ".track";
            std::replace_if(
                name.begin(), name.end(), [](char x) { return x == ' ' || x == '/' || x == ','; }, '_');
            const auto track = found(take, o.phone, models, keep.empty() ? keep : keep / name);
            ++films;
            std::fprintf(stderr, "%s %s %s%s\n", c.axis.c_str(), c.level.c_str(), std::string(view_name(v)).c_str(),
                         track ? "" : ": refused");
            if (!track) {
                ++refused;
                continue;
            }
            std::mt19937 rng(static_cast<unsigned>(films));
            Row row{c.axis, c.level, std::string(view_name(v)), {}};
            row.of[raw] = measured(*track, take, o.student.stature_m);
            Track t = *track;
            mark_ground(t, take, o.phone, rng);
            row.of[marked] = measured(t, take, o.student.stature_m);
            t = *track;
            t.layers.steady.clear(); // the marks are on the frames as they were filmed, and so is the truth
            mend(t, take, rng);
            row.of[mended] = measured(t, take, o.student.stature_m);
            sides[v == View::front ? 0 : 1] = row.of[raw];
            rows.push_back(std::move(row));
        }
        // Each frame of each figure from the side that states the smaller error.
        Errors pair;
        for (std::size_t k = 0; k < figures.size(); ++k)
            for (const auto& s : sides)
                for (const auto& [frame, e] : s[k]) {
                    const auto it = pair[k].find(frame);
                    if (it == pair[k].end() || e.sigma < it->second.sigma) pair[k][frame] = e;
                }
        for (std::size_t i = first; i < rows.size(); ++i) rows[i].of[both] = pair;
    }
    std::printf(
        "\n## By view, distance, tilt, roll, light, shake, clothes, body, frame rate, lens and turn\n\n"
        "%d short films of simulated students (a family of figures that nothing was fitted on), found by the body finder; %d could not be "
        "put on the ground. Median error of single frames, in brackets the share within two stated sigmas, %%. “Ground marked”: a mat of "
        "1.8 by "
        "1.2 m, each corner to a pixel and a half. “Points mended”: legs, hips and shoulders set by hand on every fifth frame. “Paired”: "
        "the film "
        "from the front and the one from the left, each frame of each figure from the surer one. Films that shake are steadied first.\n\n"
        "| | view | | ",
        films, refused);
    for (const auto& f : figures) std::printf("%s | ", f.name);
    std::printf("\n|---|---|---|");
    for (std::size_t k = 0; k < figures.size(); ++k) std::printf("---|");
    std::printf("\n");
    auto line = [&](const std::string& head, const std::string& view, const char* how, const std::vector<const Errors*>& of) {
        std::printf("| %s | %s | %s | ", head.c_str(), view.c_str(), how);
        for (std::size_t k = 0; k < figures.size(); ++k) {
            std::vector<Seen> all;
            for (const auto* e : of)
                for (const auto& [frame, s] : (*e)[k]) all.push_back(s);
            std::printf("%s | ", cell(all, figures[k].shown).c_str());
        }
        std::printf("\n");
    };
    for (const auto& r : rows) line(r.axis + ": " + r.level, r.view, how_names[raw], {&r.of[raw]});
    for (const char* view : {"front", "left"})
        for (const How h : {raw, marked, mended, both}) {
            std::vector<const Errors*> of;
            for (const auto& r : rows)
                if (r.view == view) of.push_back(&r.of[h]);
            line("**all**", view, how_names[h], of);
        }
    return 0;
}
