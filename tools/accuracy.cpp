// Measures the error of the whole video path (film, encode, decode, find the body, ground, measure) on simulated students whose seeds were
// not used to fit the offsets of the points, and prints docs/accuracy.md. With --points the pictures are left out: exact points with noise.
// With --keep FOLDER the found points are kept there and used again.
#include "support/accuracy.h"
#include "core/files.h"
#include "core/review/points_csv.h"
#include "media/tracker.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include <cstdio>
#include <cstring>

using namespace bevel;

namespace {

struct Case {
    const char* movement;
    View view;
    std::uint64_t seed;
    double stature, tilt, height;
    const char* fault;
};

const std::vector<Case>& cases() {
    static const std::vector<Case> all{
        {"part_the_horses_mane", View::left, 201, 1.62, 3, 1.1, ""},
        {"part_the_horses_mane", View::right, 202, 1.78, 2, 1.0, "lean_forward=10"},
        {"part_the_horses_mane", View::front, 203, 1.70, 4, 1.2, ""},
        {"gaze_at_the_moon", View::front, 204, 1.58, 3, 1.0, ""},
        {"gaze_at_the_moon", View::front, 205, 1.84, 5, 1.3, "knee_in=12"},
        {"gaze_at_the_moon", View::right, 206, 1.66, 2, 0.9, ""},
        {"separate_the_clouds", View::front, 207, 1.74, 3, 1.1, "lean_side.left=8"},
        {"separate_the_clouds", View::left, 208, 1.69, 4, 1.1, ""},
        {"separate_the_clouds", View::right, 209, 1.80, 2, 1.2, "lean_forward=12"},
        {"gaze_at_the_moon", View::back, 210, 1.72, 3, 1.1, ""},
    };
    return all;
}

Result<Track> through_video(const sim::Take& take, const sim::PhoneOptions& phone, const std::filesystem::path& models) {
    const auto file = std::filesystem::temp_directory_path() / "bevel-accuracy.mp4";
    auto writer = ClipWriter::create(file, phone.width, phone.height, phone.fps, 26);
    if (!writer) return tl::unexpected(writer.error());
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return tl::unexpected(ok.error());
    if (auto ok = writer->finish(); !ok) return tl::unexpected(ok.error());
    TrackOptions options;
    options.model_dir = models;
    auto found = track_clip(file, options);
    std::filesystem::remove(file);
    if (!found) return tl::unexpected(found.error());
    return std::move(found->track);
}

} // namespace

int main(int argc, char** argv) {
    const bool points = argc > 1 && std::strcmp(argv[1], "--points") == 0;
    const std::filesystem::path keep = argc > 2 && std::strcmp(argv[1], "--keep") == 0 ? argv[2] : "";
    const auto models = find_model_dir(argv[0]);
    std::map<std::string, test::Errors> errors;
    std::size_t frames = 0;
    for (const auto& c : cases()) {
        auto o = sim::take_of(c.seed, c.stature);
        o.student.score.repetitions = 1;
        o.phone.view = c.view;
        o.phone.fps = 25;
        o.phone.tilt_deg = c.tilt;
        o.phone.height_m = c.height;
        o.phone.distance_m = 4.4;
        if (*c.fault != 0) o.student.faults.push_back(*sim::parse_fault(c.fault));
        const sim::Take take(test::movement(c.movement), o);
        frames += take.frames();
        const auto kept = keep / (std::string(c.movement) + "-" + std::to_string(c.seed) + ".track");
        const auto before = keep.empty() ? Result<std::string>(fail(Code::not_found, "")) : read_text(kept, 64U << 20U);
        const auto found = before   ? unpack_track(*before)
                           : points ? Result<Track>(test::pixel_track(take, 2.5, c.seed))
                                    : through_video(take, o.phone, models);
        std::fprintf(stderr, "%s %s %zu frames\n", c.movement, std::string(view_name(c.view)).c_str(), take.frames());
        if (found && !before && !keep.empty()) (void)write_whole(kept, pack_track(*found));
        if (!found || !test::compare(take, *found, c.view, c.stature, errors)) std::fprintf(stderr, "  not measured\n");
    }
    std::printf(
        "# Accuracy\n\nMade by `./run accuracy`. The truth is worked out in tests/support/truth.cpp from the performed points, by formulas "
        "that\n"
        "share nothing with the program.\n\n## The video path\n\n%zu simulated clips, %zu frames at 1280 x 720 and 25 frames/s, filmed, "
        "encoded, decoded "
        "and measured as any clip is.\n"
        "The students (seeds 201 to 210) differ in build, proportions and looks from those on which the offsets of the body finder were "
        "fitted.\n\n"
        "| figure | where | n | mean absolute error | allowed | bias | 95 %% within | within 1 sigma | within 1.64 sigma | not found "
        "|\n|---|---|---|---|---|---|---|---|---|---|\n",
        cases().size(), frames);
    bool all = true;
    for (const auto& row : test::accuracy_rows()) {
        const auto& e = errors[row.id];
        all = all && e.mean_absolute() <= row.allowed;
        std::printf("| %s | %s | %zu | %.3g %s%s | %.3g | %+.3g | %.3g | %.0f %% | %.0f %% | %d |\n", row.id, row.when, e.count(),
                    e.mean_absolute(), row.unit, e.mean_absolute() <= row.allowed ? "" : " (over)", row.allowed, e.bias(), e.worst_of_95(),
                    100 * e.covered(1), 100 * e.covered(1.64), e.missed);
    }
    std::printf("\nAllowed are the errors that were promised for this path. Of an error that follows the normal law 68 %% lies within 1 "
                "sigma and 90 %% within 1.64. Where more does, the stated "
                "error is cautious.\n");
    return all ? 0 : 1;
}
