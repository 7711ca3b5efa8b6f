// Fields of a letter's own words: a name, a day, a figure that is looked up when the letter goes out, never typed.
#pragma once
#include "core/result.h"
#include "desk/changes.h"
#include "ui/paint/letter_document.h"
#include <QString>
#include <QStringList>

namespace bevel::ui {

/// "{name}", "{movement}", "{day}", "{next}", "{me}", "{place}"; "{figure CLIP KEY}" and "{change CLIP KEY}" belong to one clip and
/// finding.
struct Field {
    QString what; // "name" …, "figure", "change"
    qint64 clip = 0;
    FindingKey key;       // of a change without a direction
    QString text() const; // as it is written between words
};
/// The field that a text in braces is; nothing when it is none.
std::optional<Field> field_of(const QString& braces);

struct FieldSource {
    QString name, movement, me, place;
    QDate day, next;
    qint64 clip = 0;
    std::shared_ptr<const Review> review;
    Better better; // what may be said to be better in this clip
    Units units;
    const Catalogue* catalogue = nullptr;
    bool hide_days = false; // days are left out of generated words, and a day as a field is refused
};

/// The words with their fields filled. Code::no_field, which and why, for one that can no longer be said, in words a person can act on.
Result<QString> filled(const QString& words, const FieldSource& source);
/// One field, filled; the same refusals.
Result<QString> filled(const Field& field, const FieldSource& source);
/// What a field is called to the instructor: "figure: front knee past toe, left".
QString field_name(const Field& field, const FieldSource& source);
/// Typed figures: a number with a unit of what Bevel measures. They should be fields, since they do not change with the clip.
QStringList typed_figures(const QString& words);

/// "6° (± 3°) better since 3 October", or "than before" where days are hidden.
QString change_words(const ShownChange& change, const Units& units, bool hide_days = false);

} // namespace bevel::ui
