// A linked form from a clip of it: which movements follow one on the other, how often and on which side.
#pragma once
#include "core/form/form.h"
#include "core/review/parts.h"

namespace bevel {

/// Repetitions of one movement on one side are one entry, and so are those whose sides take turns. What cannot be seen stays as it is
/// usual: turns between the parts (one camera does not tell them), versions, pace.
std::vector<FormPart> parts_from(std::span<const RepetitionGuess> repetitions);
/// Of a clip; empty where nothing in it is known.
std::vector<FormPart> parts_from(const Track& track, std::span<const Movement> movements, const ReviewOptions& options);

} // namespace bevel
