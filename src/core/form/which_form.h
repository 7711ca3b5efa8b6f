// Which linked form a clip shows, told from the movements that were found in it.
#pragma once
#include "core/form/form.h"
#include "core/review/parts.h"
#include <span>

namespace bevel {

struct FormGuess {
    std::string form;  // id
    double score = 0;  // 0 to 1: twice what both have in common in the same order, over what both have in all (Dice 1945)
    int movements = 0; // kinds of movements that they have in common
};

/// Likeliest first; only forms of which at least two kinds of movements were found in their order.
std::vector<FormGuess> guess_form(std::span<const PartGuess> parts, std::span<const LinkedForm> forms);

} // namespace bevel
