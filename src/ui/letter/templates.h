// Ways to begin and end a letter, in the instructor's own words: shipped ones in each language, and own ones kept in the library.
#pragma once
#include "core/result.h"
#include "store/library.h"
#include <QString>

namespace bevel::ui {

struct LetterTemplate {
    QString id, name, language;
    QString opening, closing; // with fields in braces
    bool short_form = false, large = false;
    bool own = false;
};
/// First letter, full letter, short message, in a language of the program.
std::vector<LetterTemplate> shipped_templates(const QString& language);
/// bad_value "template" for a text that is none.
Result<LetterTemplate> parse_template(const OwnForm& form);
OwnForm template_text(const LetterTemplate& t);

} // namespace bevel::ui
