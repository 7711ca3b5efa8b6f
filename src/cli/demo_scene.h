// The demo's scene: Lantern Quay, its invented students and their simulated clips.
#pragma once
#include "core/sim/take.h"
#include <string>
#include <vector>

namespace bevel::cli {

struct SceneClip {
    const char* file;
    int student;
    const char* movement; // id; "form:ID" of a linked form
    const char* view;
    const char* date;
    int repetitions;
    std::vector<const char*> faults;
    double tempo, distance, tilt, roll, shake;
    int width, height;
    enum class Then { reviewed, tracked, waiting, sent } then; // sent: reviewed, and its letter went out two days later
    bool film_stays = true;                                    // else only points and record are kept, as films are not kept for ever
    std::vector<int> in = {};                                  // of a linked form: the parts, from 1, that have the faults; none: all
    const char* beside = nullptr; // the file of an earlier clip of the same performance: a second phone filmed at once, begun so much later
    double later_s = 0;
};

struct SceneStudent {
    const char* name;
    double stature_m;
    const char* notes;
    std::uint64_t seed;
};

/// What was practised at home on a day, as it was told.
struct ScenePractice {
    int student;
    const char* date;
    double minutes;
    int effort;
    const char *felt, *pain, *movement;
    int left, right;
};

const std::vector<ScenePractice>& scene_practice();
const std::vector<SceneStudent>& scene_students();
const std::vector<SceneClip>& scene_clips();
/// The take behind a clip of the scene; the same command always makes the same points.
sim::TakeOptions scene_take(const SceneClip& clip);

} // namespace bevel::cli
