#include "ui/shell/settings.h"
#include <QSettings>

namespace bevel::ui {

Settings Settings::load(const QSettings& from) {
    Settings s;
    const QString theme = from.value(QStringLiteral("theme")).toString();
    s.theme = theme == QLatin1String("light")  ? ThemeChoice::light
              : theme == QLatin1String("dark") ? ThemeChoice::dark
                                               : ThemeChoice::system;
    s.window = from.value(QStringLiteral("window")).toByteArray();
    s.export_folder = from.value(QStringLiteral("export_folder")).toString();
    return s;
}

void Settings::save(QSettings& to) const {
    to.setValue(QStringLiteral("theme"), theme == ThemeChoice::light  ? QStringLiteral("light")
                                         : theme == ThemeChoice::dark ? QStringLiteral("dark")
                                                                      : QStringLiteral("system"));
    to.setValue(QStringLiteral("window"), window);
    to.setValue(QStringLiteral("export_folder"), export_folder);
}

} // namespace bevel::ui
