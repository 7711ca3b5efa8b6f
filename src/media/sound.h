// Sound as files (libsndfile), and words as sound (espeak-ng).
#pragma once
#include "core/practice/tones.h"
#include "core/result.h"
#include <filesystem>
#include <stop_token>

namespace bevel {

inline constexpr double sound_rate = 44100;

/// Writes a track as FLAC, Ogg Vorbis or WAV, by the file's ending. bad_value "ending" for another; whole or not at all.
Result<bool> write_sound(const std::filesystem::path& file, const SoundTrack& track, const std::stop_token& stop = {});

Result<bool> write_sound(const std::filesystem::path& file, const Samples& samples, const std::stop_token& stop = {}); // at sound_rate

/// A recording as one channel at `sound_rate`, of at most a minute. unreadable, too_large.
Result<Samples> read_sound(const std::filesystem::path& file);

/// Words spoken in a language ("en", "de"), at `sound_rate`. Names in pinyin are said by the Chinese voice: put them between « and ».
/// not_found without the voice's data. One thread at a time speaks; the others wait.
Result<Samples> speak_words(const std::string& words, const std::string& language);

} // namespace bevel
