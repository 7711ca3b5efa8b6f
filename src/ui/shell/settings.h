// What the user chose for the program itself, by type; kept in the user's settings.
#pragma once
#include "ui/text/text.h"
#include <map>
#include <QByteArray>
#include <QString>

class QSettings;

namespace bevel::ui {

enum class ThemeChoice { system, light, dark };
/// Which network finds the body: quicker or finer.
enum class BodyModel { lite, full, heavy };

struct Settings {
    QString language; // empty: the system's
    ThemeChoice theme = ThemeChoice::system;
    int text_percent = 100; // 90 to 140
    bool inches = false;
    Units::Width width = Units::Width::shoulders;
    BodyModel model = BodyModel::full;
    bool mirrored = false;               // what a new clip is taken for
    QString library;                     // folder; empty: the usual one
    QString inbox;                       // folder whose clips are taken in by themselves; empty: none
    QByteArray window;                   // size and place
    std::map<QString, QByteArray> split; // how the panes of a place are divided, by name
    QString export_folder;

    static Settings load(const QSettings& from);
    void save(QSettings& to) const;
    /// In what lengths of this body are written.
    /// Fist and foot as marked of this person, else from the height.
    Units units(const Motion& body, const Person& whose = {}) const;
};

} // namespace bevel::ui
