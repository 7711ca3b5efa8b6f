// How long a clip may be. A broken time stamp must not make a grid of moments that fills the memory.
#pragma once

namespace bevel {

inline constexpr double longest_film_s = 24 * 3600.0; // a film, of which parts are cut
/// What is put on the ground: make_motion refuses a longer one with "too_long", and frames whose times do not increase with "times".
inline constexpr double longest_clip_s = 3 * 3600.0;

} // namespace bevel
