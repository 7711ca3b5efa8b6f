// Hiding who it is: one transformation over everything that leaves, which refuses where it is not sure.
#pragma once
#include "ui/paint/letter_document.h"

namespace bevel::ui {

struct Identity {
    QString name;      // in full, as it is kept
    bool date = false; // the day it was filmed is hidden too
    QString alias{};   // stands for the name; empty: "a student"
};

/// The letter without its student: name in every text and title, the date if asked. Code::tells, with the word, where a word may still tell
/// (a longer word with the name in it, the sender's own name), so that a person looks at it.
Result<LetterContent> hidden(LetterContent c, const Identity& who);

/// Whether a text, or the name of a file, tells the name.
bool tells(const QString& text, const Identity& who);

/// Flat colour over the head and over everything outside the widened outline of the body. False where the body is not found surely enough
/// for that: the picture must then be left out.
bool hide_person(QImage& picture, const BodyPx& body);

} // namespace bevel::ui
