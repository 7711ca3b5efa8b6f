#include "ui/letter/mail.h"
#include <QDir>
#include <QProcess>
#include <QStandardPaths>

namespace bevel::ui {

Result<bool> open_in_mail_program(const Mail& mail) {
    const QString program = qEnvironmentVariable("BEVEL_MAIL", QStringLiteral("xdg-email"));
    const QString path = QStandardPaths::findExecutable(program);
    if (path.isEmpty()) return fail(Code::not_found, program.toStdString());
    QStringList words{QStringLiteral("--utf8"), QStringLiteral("--subject"), mail.subject, QStringLiteral("--body"), mail.words};
    if (!mail.file.isEmpty()) words << QStringLiteral("--attach") << mail.file;
    if (!mail.to.isEmpty()) words << mail.to;
    if (!QProcess::startDetached(path, words)) return fail(Code::not_found, program.toStdString());
    return true;
}

QString mail_folder() {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/mail");
    QDir().mkpath(folder);
    return folder;
}

} // namespace bevel::ui
