// Languages of the program: its own sentences, and the words of the shipped data (cues, names, definitions), in one catalogue built into
// it.
#pragma once
#include <QString>
#include <QStringList>
#include <string>

namespace bevel::ui {

/// Codes of what Bevel speaks.
QStringList languages();
/// Name of a language in itself.
QString language_name(const QString& code);
/// Speaks a language from now on, numbers and dates with it; empty or unknown: the system's, else English. On the interface thread, before
/// the windows are made (or made again).
void speak(const QString& code);
/// The one spoken now.
QString spoken_language();
/// A text of the shipped data, in the language spoken. What is not in the catalogue (own words of the instructor) stays as it is.
QString said(const std::string& text);

} // namespace bevel::ui
