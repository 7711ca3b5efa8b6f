// What was learned from clips, in words; what of it goes against the rules is not passed over.
#pragma once
#include "core/learn/learn.h"
#include "ui/text/text.h"

namespace bevel::ui {

struct LearnedWords {
    QStringList lines;
    bool to_look_at = false; // something in it is outside a rule, or beyond what is safe
};
LearnedWords learned_words(const Learned& learned, const Catalogue& catalogue);

} // namespace bevel::ui
