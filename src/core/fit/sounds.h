// Two clips of one hour in one room: by how much their clocks differ, told from what both phones heard.
#pragma once
#include "core/fit/clocks.h"
#include <array>
#include <optional>
#include <span>

namespace bevel {

inline constexpr double sound_step_s = 0.005;
inline constexpr std::size_t sound_bands = 6;
inline constexpr double sound_trace_rate = 8000; // samples a second that a trace is made of

/// When it becomes louder, in octaves: what footfalls, claps, words and music have in common however far off the phone stood. Row i is at
/// from_s + i * sound_step_s of the clip.
struct SoundTrace {
    double from_s = 0;
    std::vector<std::array<float, sound_bands>> rise;
    double length_s() const { return static_cast<double>(rise.size()) * sound_step_s; }
};

/// Of one channel at `sound_trace_rate` whose first sample is at from_s.
SoundTrace trace_of(std::span<const float> samples, double from_s);

/// The offset at which both heard the same; none where no offset stands out: silence, steady noise, a beat that fits itself at many
/// offsets, clips of different hours. `alike`: correlation there. `sigma_s` holds what two phones cannot know of each other: their
/// distances from what sounded (sound goes 0.34 m in a millisecond) and how well each of them keeps sound and pictures together.
/// At least `least_common_s` must be in common.
std::optional<Clocks> clocks_by_sound(const SoundTrace& first, const SoundTrace& second, double least_common_s = 4);

} // namespace bevel
