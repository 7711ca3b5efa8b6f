// What becomes of a clip once the body was looked for: its points, its state and what it tells of the student.
#pragma once
#include "core/review/review.h"
#include "store/library.h"

namespace bevel {

/// The end of taking in a clip. `track` is null when nothing was found, `review` null when it could not be judged; `error` says why then.
struct Found {
    const Track* track = nullptr;
    const Review* review = nullptr;
    Error error;
};

/// Records it: points, state (tracked or failed, with the reason's code) and, from a clip that shows it, the student's shoulder width.
Result<Clip> keep_found(Library& library, Clip clip, const Found& found);

} // namespace bevel
