// One film that came twice: compressed anew, under another name, without one. Told from the body's way over the picture.
#pragma once
#include "core/body/points.h"

namespace bevel {

/// Whether both are the same take: as long, and the same points at the same places of the picture at the same times, but for what another
/// size, frame rate and compression do to them. Two takes of one person before the same camera differ by where the feet stand and by when
/// the body moves. False where either has a body on less than half of its time.
bool same_take(const Track& a, const Track& b);

} // namespace bevel
