// Handing a letter to the mail program; Bevel sends nothing itself.
#pragma once
#include "store/library.h"
#include <QString>

namespace bevel::ui {

struct Mail {
    QString to, subject, words, file; // file: attached
};
/// Through xdg-email. not_found without one, bad_value "address: …". BEVEL_MAIL names another program, for tests.
Result<bool> open_in_mail_program(const Mail& mail);
/// One address and nothing else: nothing that a mail program would take for an option, another field or another address.
bool is_plain_address(const QString& address);
/// Where letters for the mail program are written, in the library; made when it is not there.
QString mail_folder(const Library& library);

} // namespace bevel::ui
