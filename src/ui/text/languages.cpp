#include "ui/text/languages.h"
#include <map>
#include <memory>
#include <QCoreApplication>
#include <QDir>
#include <QGuiApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

namespace bevel::ui {
namespace {

#include "bevel_de_qm.inc" // german_qm, german_qm_size: made from data/translations/bevel_de.ts

QString& spoken() {
    static QString code = QStringLiteral("en");
    return code;
}

/// What a `LanguageScope` of this thread speaks instead.
thread_local const QString* scoped = nullptr;

QTranslator& german() {
    static QTranslator t;
    static const bool read = t.load(german_qm, static_cast<int>(german_qm_size));
    (void)read;
    return t;
}

/// Of files, by code; filled before other threads speak, not changed afterwards.
std::map<QString, std::unique_ptr<QTranslator>>& of_files() {
    static std::map<QString, std::unique_ptr<QTranslator>> all;
    return all;
}

/// Every sentence goes through this one, so that one thread can write a letter in another language than the windows speak.
class Tongue : public QTranslator {
public:
    QString translate(const char* context, const char* source, const char* meaning, int n) const override {
        const QString& code = scoped ? *scoped : spoken();
        const QTranslator* words = code == QLatin1String("de") ? &german() : nullptr;
        if (const auto own = of_files().find(code); own != of_files().end()) words = own->second.get();
        if (words)
            if (QString s = words->translate(context, source, meaning, n); !s.isEmpty()) return s;
        // English says "1 clip", "2 clips": what stands in brackets belongs to many.
        QString s = QString::fromUtf8(source);
        if (n < 0 || !s.contains(QLatin1String("%n"))) return {}; // as it stands
        for (const auto& many : {QLatin1String("(s)"), QLatin1String("(es)")})
            s.replace(many, n == 1 ? QString() : QString(many).mid(1, many.size() - 2));
        return s;
    }
    bool isEmpty() const override { return false; }
};

/// Owned by nobody but this function: installed ones must outlive the last window.
Tongue& tongue() {
    static Tongue t;
    return t;
}
QTranslator& toolkit() {
    static QTranslator t;
    return t;
}

QLocale locale_of(const QString& code) {
    const QLocale system = QLocale::system();
    // The country's own way of writing numbers where it speaks that language.
    return system.name().startsWith(code + QLatin1Char('_')) ? system : QLocale(code);
}

} // namespace

void find_languages(const QString& folder) {
    constexpr qint64 most = 16 << 20;
    of_files().clear();
    const QDir dir(folder);
    for (const QFileInfo& file : dir.entryInfoList({QStringLiteral("bevel_*.qm")}, QDir::Files | QDir::Readable, QDir::Name)) {
        const QString code = file.completeBaseName().mid(6);
        if (file.size() > most || QLocale(code).language() == QLocale::C || code == QLatin1String("en")) continue;
        auto t = std::make_unique<QTranslator>();
        if (t->load(file.absoluteFilePath())) of_files()[code] = std::move(t);
    }
}

QStringList languages() {
    QStringList all{QStringLiteral("en"), QStringLiteral("de")};
    for (const auto& [code, words] : of_files())
        if (!all.contains(code)) all << code;
    return all;
}

QString language_name(const QString& code) {
    if (code == QLatin1String("en")) return QStringLiteral("English");
    if (code == QLatin1String("de")) return QStringLiteral("Deutsch");
    const QString own = QLocale(code).nativeLanguageName();
    return own.isEmpty() ? code : own;
}

void speak(const QString& asked) {
    const QLocale system = QLocale::system();
    QString code = asked;
    if (!languages().contains(code)) code = system.name().section(QLatin1Char('_'), 0, 0);
    if (!languages().contains(code)) code = QStringLiteral("en");
    QCoreApplication::removeTranslator(&tongue());
    QCoreApplication::removeTranslator(&toolkit());
    german();
    spoken() = code;
    QLocale::setDefault(locale_of(code));
    if (qobject_cast<QGuiApplication*>(QCoreApplication::instance())) QGuiApplication::setLayoutDirection(QLocale(code).textDirection());
    QCoreApplication::installTranslator(&tongue());
    if (code != QLatin1String("en") && toolkit().load(QStringLiteral("qtbase_") + code, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(&toolkit());
}

LanguageScope::LanguageScope(const QString& code) : code_(code), before_(scoped) {
    if (languages().contains(code_)) scoped = &code_;
}

LanguageScope::~LanguageScope() {
    scoped = before_;
}

QLocale locale_now() {
    return scoped ? locale_of(*scoped) : QLocale();
}

QString spoken_language() {
    return scoped ? *scoped : spoken();
}

QString said(const std::string& text) {
    return text.empty() ? QString() : QCoreApplication::translate("data", text.c_str());
}

} // namespace bevel::ui
