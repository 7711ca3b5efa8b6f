// One correction as an upright picture for a messenger: what to do in large letters, both pictures, what was seen.
#pragma once
#include "ui/paint/letter_document.h"

namespace bevel::ui {

inline constexpr QSize card_size{1080, 1350};
/// Of correction `item` (0-based) of a letter as it goes out; null where there is none.
QImage message_card(const LetterContent& c, int item, const Theme& theme);

} // namespace bevel::ui
