#include "ui/shell/settings.h"
#include <algorithm>
#include <array>
#include <QSettings>

namespace bevel::ui {
namespace {

/// Names of an enumeration in the settings file, in its order.
template <class E, std::size_t n> E read(const QSettings& s, const char* key, const std::array<const char*, n>& names, E usual) {
    const QString word = s.value(QLatin1String(key)).toString();
    for (std::size_t i = 0; i < n; ++i)
        if (word == QLatin1String(names[i])) return static_cast<E>(i);
    return usual;
}
template <class E, std::size_t n> void write(QSettings& s, const char* key, const std::array<const char*, n>& names, E value) {
    s.setValue(QLatin1String(key), QLatin1String(names[static_cast<std::size_t>(value)]));
}

constexpr std::array<const char*, 3> themes{"system", "light", "dark"};
constexpr std::array<const char*, 3> models{"lite", "full", "heavy"};
constexpr std::array<const char*, 4> widths{"shoulders", "length", "fists", "feet"};

} // namespace

Settings Settings::load(const QSettings& from) {
    Settings s;
    s.language = from.value(QStringLiteral("language")).toString();
    if (!languages().contains(s.language)) s.language.clear();
    s.theme = read(from, "theme", themes, s.theme);
    s.text_percent = std::clamp(from.value(QStringLiteral("text_percent"), 100).toInt(), 90, 140);
    s.inches = from.value(QStringLiteral("inches")).toBool();
    s.width = read(from, "width", widths, s.width);
    s.model = read(from, "body_model", models, s.model);
    s.mirrored = from.value(QStringLiteral("mirrored")).toBool();
    s.inbox = from.value(QStringLiteral("inbox")).toString();
    s.library = from.value(QStringLiteral("library")).toString();
    s.window = from.value(QStringLiteral("window")).toByteArray();
    s.export_folder = from.value(QStringLiteral("export_folder")).toString();
    for (const QString& key : from.allKeys())
        if (key.startsWith(QLatin1String("split/"))) s.split[key.mid(6)] = from.value(key).toByteArray();
    return s;
}

void Settings::save(QSettings& to) const {
    to.setValue(QStringLiteral("language"), language);
    write(to, "theme", themes, theme);
    to.setValue(QStringLiteral("text_percent"), text_percent);
    to.setValue(QStringLiteral("inches"), inches);
    write(to, "width", widths, width);
    write(to, "body_model", models, model);
    to.setValue(QStringLiteral("mirrored"), mirrored);
    to.setValue(QStringLiteral("library"), library);
    to.setValue(QStringLiteral("inbox"), inbox);
    to.setValue(QStringLiteral("window"), window);
    to.setValue(QStringLiteral("export_folder"), export_folder);
    for (const auto& [name, state] : split) to.setValue(QStringLiteral("split/") + name, state);
}

Units Settings::units(const Motion& body, const Person& whose) const {
    Units u;
    u.inches = inches;
    u.width = width;
    u.shoulder_m = body.neutral.shoulder_width;
    u.foot_m = whose.foot_m > 0 ? whose.foot_m : body.neutral.foot;
    u.fist_m = whose.fist_m > 0 ? whose.fist_m : body.stature * Units::fist_of_stature;
    return u;
}

} // namespace bevel::ui
