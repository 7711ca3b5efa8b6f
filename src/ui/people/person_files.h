// What is known of a person as files: lines of text, pages, and one bundle of all of it.
#pragma once
#include "desk/person_sheet.h"
#include "ui/shell/session.h"
#include <QByteArray>

namespace bevel::ui {

/// Record, what changed and what is agreed, on A4 pages.
Result<QByteArray> record_pdf(const PersonSheet& sheet, const Session& session);

/// Who comes, the one thing asked of each, limits, a box to tick: a page for the wall of the leader, not for the group.
Result<QByteArray> hall_list_pdf(const std::vector<HallLine>& lines, const Catalogue& catalogue, const Theme& theme);

/// What a line of the record says: what it is, and its words.
std::pair<QString, QString> record_words(const RecordLine& line, const Session& session);
/// "better by 6° ± 3°", or why nothing is said.
QString change_of(const FigureTrend& t, const Session& session);
QString name_of(const FigureTrend& t, const Session& session);

} // namespace bevel::ui
