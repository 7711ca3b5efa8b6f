// From a clip to a track: every frame through the body finder, points as the network gave them; the room's vertical.
#pragma once
#include "media/clip.h"
#include "media/pose/finder.h"
#include "media/scene.h"
#include <functional>
#include <stop_token>

namespace bevel {

struct TrackOptions {
    std::filesystem::path model_dir;
    Model model = Model::full;
    std::optional<Vec2> person; // pixel on the person to follow, when several are in view
    /// A run that was broken off goes on where it was: points of its first `done` frames.
    std::optional<Track> so_far;
    std::size_t done = 0;
    /// Called from the working thread about every `checkpoint_s` seconds and when it is stopped, with what was found so far.
    std::function<void(const Track& so_far, std::size_t done)> checkpoint;
    double checkpoint_s = 10;
    /// Two stretches of ten seconds are worked through at once, each on a thread of its own, with a second of overlap in which they have to
    /// agree on the person; one after the other for pictures above 1080p.
    int stretches = 2;
    /// Else clips of more than 50 frames a second are looked at on every other frame, and the frames between are filled in: half the time.
    bool every_frame = false;
    /// Called after each frame, from one working thread at a time, with the newest that was found.
    std::function<void(std::size_t done, std::size_t total, const std::optional<BodyPx>&)> progress;
};

struct TrackResult {
    Track track;
    ClipInfo clip;
    std::string look;               // of the room (core/review/look.h)
    std::vector<SceneSample> scene; // in order of time; of what was looked at in this run
    std::size_t unreadable = 0;     // frames that could not be decoded
    double frames_per_s = 0;
};

/// cancelled when asked to stop; cannot_judge "no_body" when nobody was found on any frame.
Result<TrackResult> track_clip(const std::filesystem::path& file, const TrackOptions& options, std::stop_token stop = {});

/// Times, size, look and vertical of a clip whose body is to be set by hand: no network is asked for.
Result<TrackResult> track_without_body(const std::filesystem::path& file, std::stop_token stop = {});

/// Upright edges of the room (posts, doors, windows) outside the person's box on some frames of a clip; nothing when too few are seen.
std::optional<VerticalOnPicture> room_vertical(
    const std::vector<std::pair<std::shared_ptr<const sim::Image>, std::optional<BodyPx>>>& frames);

} // namespace bevel
