// What became better in a clip beyond all errors.
#pragma once
#include "core/judge/finding_key.h"
#include "core/review/trend.h"
#include "store/library.h"
#include <map>

namespace bevel {

struct ShownChange {
    ChangeOfFigure change;
    std::string unit, since; // ISO day
};
/// By check and side (FindingKey::either).
using Better = std::map<FindingKey, ShownChange>;

/// The clip as it is judged now, against what was kept of the same person's earlier ones. Empty for nobody's clip.
Result<Better> better_in(const Library& library, const Clip& clip, const Review& review);

} // namespace bevel
