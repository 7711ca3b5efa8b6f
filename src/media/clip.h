// Reading and writing clips. Frame N is exactly frame N: an index into the sorted table of the stream's own time stamps.
#pragma once
#include "core/result.h"
#include "core/sim/film.h"
#include <filesystem>
#include <memory>
#include <span>
#include <stop_token>

namespace bevel {

struct ClipInfo {
    int width = 0, height = 0;       // after rotation, with square pixels
    int rotation = 0;                // degrees clockwise asked for by the stream; already applied to frames
    bool mirrored_by_stream = false; // the stream asks to be shown mirrored; already applied to frames
    std::vector<double> time_s;      // of every frame, increasing, first at 0
    std::string codec, container;
    std::string made_on;  // ISO date, as the stream says; empty where it does not
    bool damaged = false; // part of the file could not be read
    double duration_s() const { return time_s.empty() ? 0 : time_s.back(); }
};

class ClipReader {
public:
    /// Opens and reads the time table. cannot_open, unreadable, or too_large (over 8192 px a side or 500 000 frames).
    /// With `stop` any read, this one too, ends with `cancelled` when it is asked to, even where the disk does not answer.
    static Result<ClipReader> open(const std::filesystem::path& file, std::stop_token stop = {});
    ClipReader(ClipReader&&) noexcept;
    ClipReader& operator=(ClipReader&&) noexcept;
    ~ClipReader();
    const ClipInfo& info() const;
    /// Frame i, decoding forward where that is near, else seeking to the key frame before it. `unreadable` when it is damaged.
    Result<std::shared_ptr<const sim::Image>> frame(std::size_t i);

private:
    struct Impl;
    explicit ClipReader(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> impl_;
};

class ClipWriter {
public:
    /// H.264 in MP4 (or what the file name's ending asks for). `quality` is the encoder's constant rate factor.
    static Result<ClipWriter> create(const std::filesystem::path& file, int width, int height, double fps, int quality = 26,
                                     const std::string& codec = "libx264", int rotation = 0, int sound_rate = 0);
    ClipWriter(ClipWriter&&) noexcept;
    ClipWriter& operator=(ClipWriter&&) noexcept;
    ~ClipWriter();
    /// Frame shown from `time_s` on; times must increase.
    Result<bool> add(const sim::Image& picture, double time_s);
    /// Sound of one channel that follows what was added before, at the rate given to `create` (AAC). The last piece may be of any length.
    Result<bool> add_sound(std::span<const float> samples);
    /// The file is in its place only then.
    Result<bool> finish();

private:
    struct Impl;
    explicit ClipWriter(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> impl_;
};

} // namespace bevel
