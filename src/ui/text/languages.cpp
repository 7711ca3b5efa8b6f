#include "ui/text/languages.h"
#include <QCoreApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

namespace bevel::ui {
namespace {

#include "bevel_de_qm.inc" // german_qm, german_qm_size: made from data/translations/bevel_de.ts

/// English says "1 clip", "2 clips": what stands in brackets belongs to many.
class EnglishPlurals : public QTranslator {
public:
    QString translate(const char*, const char* source, const char*, int n) const override {
        QString s = QString::fromUtf8(source);
        if (n < 0 || !s.contains(QLatin1String("%n"))) return {}; // as it stands
        for (const auto& many : {QLatin1String("(s)"), QLatin1String("(es)")})
            s.replace(many, n == 1 ? QString() : QString(many).mid(1, many.size() - 2));
        return s;
    }
    bool isEmpty() const override { return false; }
};

QString& spoken() {
    static QString code = QStringLiteral("en");
    return code;
}

/// Owned by nobody but this function: installed ones must outlive the last window.
QTranslator& own() {
    static QTranslator t;
    return t;
}
QTranslator& toolkit() {
    static QTranslator t;
    return t;
}

EnglishPlurals& plurals() {
    static EnglishPlurals t;
    return t;
}

} // namespace

QStringList languages() {
    return {QStringLiteral("en"), QStringLiteral("de")};
}

QString language_name(const QString& code) {
    return code == QLatin1String("de") ? QStringLiteral("Deutsch") : QStringLiteral("English");
}

void speak(const QString& asked) {
    const QLocale system = QLocale::system();
    QString code = asked;
    if (!languages().contains(code)) code = system.name().section(QLatin1Char('_'), 0, 0);
    if (!languages().contains(code)) code = QStringLiteral("en");
    QCoreApplication::removeTranslator(&own());
    QCoreApplication::removeTranslator(&toolkit());
    spoken() = code;
    // The country's own way of writing numbers where it speaks that language.
    QLocale::setDefault(system.name().startsWith(code + QLatin1Char('_')) ? system : QLocale(code));
    QCoreApplication::removeTranslator(&plurals());
    QCoreApplication::installTranslator(&plurals());
    if (code != QLatin1String("de")) return;
    if (own().load(german_qm, static_cast<int>(german_qm_size))) QCoreApplication::installTranslator(&own());
    if (toolkit().load(QStringLiteral("qtbase_de"), QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(&toolkit());
}

QString spoken_language() {
    return spoken();
}

QString said(const std::string& text) {
    return text.empty() ? QString() : QCoreApplication::translate("data", text.c_str());
}

} // namespace bevel::ui
