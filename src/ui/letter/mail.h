// Handing a letter to the mail program; Bevel sends nothing itself.
#pragma once
#include "core/result.h"
#include <QString>

namespace bevel::ui {

struct Mail {
    QString to, subject, words, file; // file: attached
};
/// Through xdg-email. not_found without one. BEVEL_MAIL names another program, for tests.
Result<bool> open_in_mail_program(const Mail& mail);
/// Where letters for the mail program are written; made when it is not there.
QString mail_folder();

} // namespace bevel::ui
