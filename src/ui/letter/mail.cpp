#include "ui/letter/mail.h"
#include <QDir>
#include <QProcess>
#include <QRegularExpression>
#include <QStandardPaths>

namespace bevel::ui {

bool is_plain_address(const QString& address) {
    static const QRegularExpression plain(
        QStringLiteral("\\A[^\\s\\-@,;:<>()\\[\\]\"\\\\?&=%/][^\\s@,;:<>()\\[\\]\"\\\\?&=%/]*@[^\\s@,;:<>()\\[\\]\"\\\\?&=%/]+\\z"));
    return address.size() <= 254 && plain.match(address).hasMatch();
}

Result<bool> open_in_mail_program(const Mail& mail) {
    if (!mail.to.isEmpty() && !is_plain_address(mail.to)) return fail(Code::bad_value, "address: " + mail.to.toStdString());
    const QString program = qEnvironmentVariable("BEVEL_MAIL", QStringLiteral("xdg-email"));
    const QString path = QStandardPaths::findExecutable(program);
    if (path.isEmpty()) return fail(Code::not_found, program.toStdString());
    QStringList words{QStringLiteral("--utf8"), QStringLiteral("--subject"), mail.subject, QStringLiteral("--body"), mail.words};
    if (!mail.file.isEmpty()) words << QStringLiteral("--attach") << mail.file;
    if (!mail.to.isEmpty()) words << mail.to;
    if (!QProcess::startDetached(path, words)) return fail(Code::not_found, program.toStdString());
    return true;
}

QString mail_folder(const Library& library) {
    const QString folder = QString::fromStdString(library.mail_folder().string());
    QDir().mkpath(folder);
    return folder;
}

} // namespace bevel::ui
