// Which linked form a clip shows, told from the movements that were found in it.
#pragma once
#include "core/form/form.h"
#include "core/review/parts.h"
#include "core/review/review.h"
#include <optional>
#include <span>
#include <stop_token>

namespace bevel {

struct FormGuess {
    std::string form;  // id
    double score = 0;  // 0 to 1: twice what both have in common in the same order, over what both have in all (Dice 1945)
    int movements = 0; // kinds of movements that they have in common
};

/// Likeliest first; only forms of which at least two kinds of movements were found in their order.
std::vector<FormGuess> guess_form(std::span<const PartGuess> parts, std::span<const LinkedForm> forms);

/// Of the forms that turn, the one that explains most of what one camera saw, whatever side of them it saw; its score is the share of the
/// clip that it explains times that of its parts that are there. Nothing for points in metres, of which parts are found one by one.
/// Linking and aligning take some tenths of a second a form; nothing once it is stopped.
std::optional<FormGuess> guess_turning_form(const Track& track, std::span<const Movement> movements, std::span<const LinkedForm> forms,
                                            const ReviewOptions& options, const std::stop_token& stop = {});

} // namespace bevel
