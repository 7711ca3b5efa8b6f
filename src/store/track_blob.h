// Tracks and layers as bytes and text, as the library keeps them.
#pragma once
#include "core/body/points.h"
#include "core/result.h"
#include <string>

namespace bevel {

/// A track as bytes (format 2, see track_blob.cpp). Reading knows format 1 too, is bounded and refuses what does not add up.
std::string pack_track(const Track& track);
/// The layers alone, as text.
std::string pack_marks(const Layers& layers);
Result<Layers> unpack_marks(const std::string& text);
Result<Track> unpack_track(const std::string& bytes);

} // namespace bevel
