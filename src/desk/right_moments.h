// Moments that were marked as right, worked out anew from their clips.
#pragma once
#include "store/library.h"

namespace bevel {

/// With that moment too; one that was marked within the same second of its clip gives way, and the oldest one where there are too many.
PersonNeutral with_moment(PersonNeutral n, const RightMoment& m);

/// Moments in clips whose figures are of an earlier way of reading them, and all in `also_clip` (0: none), whose points or marks may have
/// changed. True when something is another now. What can no longer be told, or whose clip is gone, stays as it was known. On the background
/// thread.
Result<bool> renew_moments(Library& library, std::int64_t person, std::int64_t also_clip);

} // namespace bevel
