#include "cli/demo_scene.h"

namespace bevel::cli {

const std::vector<SceneStudent>& scene_students() {
    static const std::vector<SceneStudent> all{
        {"Ilse Brandvik", 1.66, "Sixty-eight. High stances only; rests between movements.", 21},
        {"Tomas Erikse", 1.83, "Thirty-four, athletic, tends to hurry.", 22},
        {"Wen Adeyemi", 1.58, "Fifty-two. Good balance, stiff shoulders.", 23},
        {"Paulo Restrepo", 1.74, "Forty-five, at a desk all day.", 24},
        {"Noor Haddad", 1.70, "Twenty-six, new this autumn.", 25},
        {"Greta Olmstead", 1.61, "Seventy-four. Chair beside her for steps.", 26},
    };
    return all;
}

const std::vector<SceneClip>& scene_clips() {
    using T = SceneClip::Then;
    static const std::vector<SceneClip> all{
        {"ilse-moon-front",
         0,
         "gaze_at_the_moon",
         "front",
         "2026-11-03",
         2,
         {"lean_side.left=10", "shift_incomplete=0.22"},
         1.1,
         4.0,
         3,
         0,
         0,
         1280,
         720,
         T::tracked},
        {"tomas-mane-left",
         1,
         "part_the_horses_mane",
         "left",
         "2026-11-05",
         2,
         {"lean_forward=14", "hurried_shift=0.45"},
         0.85,
         4.6,
         2,
         0,
         0,
         1280,
         720,
         T::reviewed},
        {"wen-clouds-front",
         2,
         "separate_the_clouds",
         "front",
         "2026-11-07",
         2,
         {"stance_narrow=0.5"},
         1.0,
         4.0,
         4,
         1.5,
         0,
         1280,
         720,
         T::tracked},
        {"paulo-clouds-right",
         3,
         "separate_the_clouds",
         "right",
         "2026-11-10",
         2,
         {"head_forward=9", "lean_forward=13"},
         1.0,
         4.0,
         3,
         0,
         0.6,
         1280,
         720,
         T::reviewed},
        {"noor-moon-front", 4, "gaze_at_the_moon", "front", "2026-11-12", 2, {"knee_in=14"}, 0.95, 3.9, 5, -1, 0, 1280, 720, T::tracked},
        {"greta-clouds-left", 5, "separate_the_clouds", "left", "2026-11-14", 2, {}, 1.2, 4.0, 3, 0, 0, 1280, 720, T::tracked},
        {"tomas-mane-right",
         1,
         "part_the_horses_mane",
         "right",
         "2026-11-19",
         1,
         {"lean_forward=7"},
         1.0,
         4.6,
         2,
         0,
         0,
         1280,
         720,
         T::tracked},
        {"ilse-moon-front-later",
         0,
         "gaze_at_the_moon",
         "front",
         "2026-11-21",
         2,
         {"lean_side.left=5"},
         1.1,
         4.0,
         3,
         0,
         0.5,
         1280,
         720,
         T::tracked},
        {"noor-mane-left",
         4,
         "part_the_horses_mane",
         "left",
         "2026-11-23",
         1,
         {"head_forward=8"},
         1.0,
         4.6,
         2,
         0,
         0,
         1280,
         720,
         T::waiting},
        // The weeks before. Ilse comes upright little by little; Paulo's head stays where it was; Wen's stance has grown.
        {"ilse-moon-first", 0, "gaze_at_the_moon", "front", "2026-10-13", 2, {"lean_side.left=14"}, 1.1, 4.0, 3, 0, 0, 1280, 720, T::sent},
        {"ilse-moon-second", 0, "gaze_at_the_moon", "front", "2026-10-23", 2, {"lean_side.left=13"}, 1.1, 4.0, 3, 0, 0, 1280, 720, T::sent, false},
        {"paulo-clouds-first", 3, "separate_the_clouds", "right", "2026-10-14", 2, {"head_forward=9"}, 1.0, 4.0, 3, 0, 0.4, 1280, 720, T::sent, false},
        {"paulo-clouds-second", 3, "separate_the_clouds", "right", "2026-10-22", 2, {"head_forward=9"}, 1.0, 4.0, 3, 0, 0.4, 1280, 720, T::sent, false},
        {"paulo-clouds-third", 3, "separate_the_clouds", "right", "2026-11-01", 2, {"head_forward=9"}, 1.0, 4.0, 3, 0, 0.4, 1280, 720, T::sent, false},
        {"wen-clouds-first", 2, "separate_the_clouds", "front", "2026-10-19", 2, {"stance_narrow=0.3"}, 1.0, 4.0, 4, 1.5, 0, 1280, 720, T::sent, false},
    };
    return all;
}

const std::vector<ScenePractice>& scene_practice() {
    static const std::vector<ScenePractice> all{
        {0, "2026-10-16", 15, 4, "a little stiff", "", "gaze_at_the_moon", 3, 3},
        {0, "2026-10-20", 15, 4, "", "", "gaze_at_the_moon", 3, 3},
        {0, "2026-10-27", 20, 5, "taller", "", "gaze_at_the_moon", 4, 4},
        {0, "2026-11-02", 20, 5, "", "left hip", "gaze_at_the_moon", 3, 2},
        {0, "2026-11-08", 15, 4, "smaller, and easy", "", "gaze_at_the_moon", 3, 3},
        {0, "2026-11-13", 25, 5, "warm hands", "", "gaze_at_the_moon", 4, 4},
        {0, "2026-11-18", 25, 5, "quiet", "", "gaze_at_the_moon", 4, 4},
        {1, "2026-11-07", 10, 7, "too quick again", "", "part_the_horses_mane", 4, 2},
        {1, "2026-11-14", 30, 6, "slower", "", "part_the_horses_mane", 4, 4},
        {3, "2026-10-18", 10, 3, "between two calls", "", "separate_the_clouds", 8, 8},
        {3, "2026-11-04", 12, 4, "", "", "separate_the_clouds", 8, 8},
    };
    return all;
}

sim::TakeOptions scene_take(const SceneClip& c) {
    const auto& s = scene_students()[static_cast<std::size_t>(c.student)];
    auto o = sim::take_of(s.seed, s.stature_m);
    o.student.tempo = c.tempo;
    o.student.score.repetitions = c.repetitions;
    for (const char* f : c.faults)
        if (auto spec = sim::parse_fault(f)) o.student.faults.push_back(*spec);
    o.phone.view = *view_from_name(c.view);
    o.phone.fps = 24;
    o.phone.width = c.width;
    o.phone.height = c.height;
    o.phone.distance_m = c.distance;
    o.phone.tilt_deg = c.tilt;
    o.phone.roll_deg = c.roll;
    o.phone.shake_px = c.shake;
    o.phone.noise = 0.8;
    return o;
}

} // namespace bevel::cli
