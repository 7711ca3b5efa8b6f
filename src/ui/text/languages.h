// Languages of the program: its own sentences, and the words of the shipped data (cues, names, definitions), in one catalogue built into
// it.
#pragma once
#include <QLocale>
#include <QString>
#include <QStringList>
#include <string>

namespace bevel::ui {

/// Further languages are files: `bevel_CODE.qm` (made by lrelease from a copy of data/translations/bevel_de.ts) in a folder of one's own.
/// Files that cannot be read, or of more than 16 MB, are passed over. To be called before anything else here, on the interface thread.
void find_languages(const QString& folder);
/// Codes of what Bevel speaks, those of files last.
QStringList languages();
/// Name of a language in itself.
QString language_name(const QString& code);
/// Speaks a language from now on, numbers, dates and the direction of writing with it; empty or unknown: the system's, else English. On the
/// interface thread, before the windows are made (or made again).
void speak(const QString& code);
/// The one spoken now, by this thread.
QString spoken_language();
/// While it lives, this thread speaks another language: a letter is written in that of its reader. An unknown code changes nothing.
class LanguageScope {
public:
    explicit LanguageScope(const QString& code);
    ~LanguageScope();
    LanguageScope(const LanguageScope&) = delete;
    LanguageScope& operator=(const LanguageScope&) = delete;

private:
    QString code_;
    const QString* before_;
};
/// How numbers and dates are written in it.
QLocale locale_now();
/// A text of the shipped data, in the language spoken. What is not in the catalogue (own words of the instructor) stays as it is.
QString said(const std::string& text);

} // namespace bevel::ui
