// What the user chose for the program itself, by type; kept in the user's settings.
#pragma once
#include <QByteArray>
#include <QString>

class QSettings;

namespace bevel::ui {

enum class ThemeChoice { system, light, dark };

struct Settings {
    ThemeChoice theme = ThemeChoice::system;
    QByteArray window; // size and place
    QString export_folder;

    static Settings load(const QSettings& from);
    void save(QSettings& to) const;
};

} // namespace bevel::ui
