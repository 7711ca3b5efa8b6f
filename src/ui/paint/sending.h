// From the record as it stands at the moment of saving to what goes out: composed, hidden where asked, written, kept as sent.
#pragma once
#include "desk/forms.h"
#include "desk/letter.h"
#include "ui/paint/fields.h"
#include "ui/paint/letter_document.h"
#include <functional>
#include <stop_token>

namespace bevel::ui {

/// Everything a letter is made from, by value.
struct LetterOrder {
    std::shared_ptr<const OpenReview> open;
    LetterRecord record;
    Units units;
    std::shared_ptr<const std::vector<Movement>> movements; // names of what is to be practised
    std::string alias;                                      // stands for the name where that is hidden
    std::vector<std::shared_ptr<const OpenReview>> also;    // the other clips it answers, as record.also has them
};

/// "en", "de": the letter's own, else the one the program speaks.
QString language_of(const LetterOrder& order);

FieldSource field_source(const LetterOrder& order, const Catalogue& catalogue, Better better);
/// "Front knee past toe, left: 4 cm (± 2 cm) better since 3 October."
QString better_words(const FindingKey& key, const ShownChange& change, const Catalogue& catalogue, const Units& units,
                     bool hide_days = false);

/// The letter as it would go out now: decisions are read from the library, so that a rewording is in it. Code::tells
/// where it cannot be hidden surely who it is, no_longer_so for a correction or praise that does not hold any more, no_field for a field
/// that cannot be filled.
Result<LetterContent> compose(const LetterOrder& order, const Library& library, const Catalogue& catalogue);

struct Outgoing {
    LetterContent content;
    QByteArray bytes;
};
/// Composes and writes a PDF, HTML or text file (by its ending), and keeps it as sent. Nothing is kept when it cannot be written.
Result<Outgoing> send_letter(const LetterOrder& order, const std::filesystem::path& file, Library& library, const Catalogue& catalogue);
/// Each correction as an upright picture for a messenger (message_card.h), kept as sent. Of several the number stands before the ending:
/// "card.png" becomes "card-1.png", "card-2.png". The files that were written.
Result<std::vector<std::filesystem::path>> send_cards(const LetterOrder& order, const std::filesystem::path& file, Library& library,
                                                      const Catalogue& catalogue);
/// The letter said aloud by the program's voice, as Ogg (.ogg); kept as sent.
Result<bool> send_spoken(const LetterOrder& order, const std::filesystem::path& file, Library& library, const Catalogue& catalogue,
                         const std::stop_token& stop);
/// All letters that were saved on a day in one PDF for paper: black and white, in large type, each on pages of its own; kept as
/// printed. `file`: where it will be written, whose name goes out too. The bytes are the caller's to write.
struct EveningPrint {
    QByteArray pdf; // empty where there is none
    int letters = 0;
    QStringList left_out; // names of those whose letter cannot go out as it stands
};
Result<EveningPrint> print_evening(const std::string& day, const std::filesystem::path& file, const Forms& forms,
                                   std::shared_ptr<const std::vector<Movement>> movements,
                                   const std::function<Units(const OpenReview&)>& units, Library& library, const Catalogue& catalogue,
                                   const std::stop_token& stop);
/// Keeps what was printed.
Result<bool> keep_printed(const LetterOrder& order, const LetterContent& content, Library& library);
/// A slow-motion clip of a correction of `clip`, one of those the letter answers, of no more than `most_bytes` (0: as it comes); kept among
/// what was sent.
Result<bool> send_clip(const LetterOrder& order, std::int64_t clip, const std::string& finding, const std::filesystem::path& file,
                       std::uintmax_t most_bytes, Library& library, const std::stop_token& stop,
                       const std::function<void(double)>& progress);

} // namespace bevel::ui
