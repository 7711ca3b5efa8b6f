// From the record as it stands at the moment of saving to what goes out: composed, hidden where asked, written, kept as sent.
#pragma once
#include "ui/paint/letter_document.h"
#include "ui/review/review_state.h"

namespace bevel::ui {

/// Everything a letter is made from, by value.
struct LetterOrder {
    std::shared_ptr<const OpenReview> open;
    LetterRecord record;
    Units units;
};

/// The letter as it would go out now: decisions are read from the library, so that a rewording is in it. bad_value "identity: …" where it
/// cannot be hidden surely who it is.
Result<LetterContent> compose(const LetterOrder& order, const Library& library, const Catalogue& catalogue);

struct Outgoing {
    LetterContent content;
    QByteArray bytes;
};
/// Composes and writes a PDF or HTML file (by its ending), and keeps it as sent. Nothing is kept when it cannot be written.
Result<Outgoing> send_letter(const LetterOrder& order, const std::filesystem::path& file, Library& library, const Catalogue& catalogue);
/// Keeps what was printed.
Result<bool> keep_printed(const LetterOrder& order, const LetterContent& content, Library& library);
/// A slow-motion clip of a correction, kept among what was sent.
Result<bool> send_clip(const LetterOrder& order, const std::string& finding, const std::filesystem::path& file, Library& library,
                       const std::stop_token& stop, const std::function<void(double)>& progress);

} // namespace bevel::ui
