// Clips of the library from which assistants may learn to see, and what is there in them.
#pragma once
#include "core/seeing/seen.h"
#include "desk/open_review.h"

namespace bevel {

/// Clips of one movement whose person agrees to it that day, with a film and points, newest first. No clip gets to an assistant but through
/// here and clip_to_see.
Result<std::vector<Clip>> clips_to_see(const Library& library, const Forms& forms, const std::string& day);

struct ClipToSee {
    std::shared_ptr<const OpenReview> open;
    std::shared_ptr<const Review> review; // of this clip by itself, also where another one of the same visit tells more
    WhatIsThere truth;                    // what the instructor set aside is open
    std::vector<Sayable> offered;
};
/// cannot_judge "consent" where its person does not agree that day, "exercise" where nothing can be judged from it; else as load_review.
Result<ClipToSee> clip_to_see(const Library& library, const Forms& forms, std::int64_t clip, const std::string& day);

} // namespace bevel
