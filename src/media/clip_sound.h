// What a clip's phone heard, on the clock of its pictures.
#pragma once
#include "core/fit/sounds.h"
#include "core/result.h"
#include <filesystem>
#include <stop_token>

namespace bevel {

inline constexpr double most_sound_s = 1200; // what comes later in a clip is not listened to

/// not_found for a clip without sound; cannot_open, unreadable, cancelled.
Result<SoundTrace> sound_of_clip(const std::filesystem::path& file, std::stop_token stop = {});

} // namespace bevel
