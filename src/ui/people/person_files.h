// What is known of a person as files: lines of text, pages, and one bundle of all of it.
#pragma once
#include "core/review/trend.h"
#include "store/library.h"
#include "ui/shell/session.h"
#include <QByteArray>

namespace bevel::ui {

/// All that is shown of one person.
struct PersonSheet {
    Person person;
    PersonFacts facts;
    std::vector<Agreement> agreements;
    std::vector<RecordLine> record;
    std::vector<FigureTrend> trends;
    std::vector<Asymmetry> uneven;
    std::vector<LetterLine> letters;
    std::vector<PracticeLog> practice;
    std::vector<std::int64_t> unmeasured; // clips whose figures are yet to be made
};
Result<PersonSheet> load_person(const Library& library, std::int64_t id);

/// Lines of comma-separated values (RFC 4180), a head line first.
std::string record_csv(const PersonSheet& sheet);
std::string figures_csv(const PersonSheet& sheet);
std::string practice_csv(const std::vector<PracticeLog>& log);
/// Record, what changed and what is agreed, on A4 pages.
Result<QByteArray> record_pdf(const PersonSheet& sheet, const Session& session);

/// What a line of the record says: what it is, and its words.
std::pair<QString, QString> record_words(const RecordLine& line, const Session& session);
/// "better by 6° ± 3°", or why nothing is said.
QString change_of(const FigureTrend& t, const Session& session);
QString name_of(const FigureTrend& t, const Session& session);
/// The line the last clip is in.
const std::vector<std::size_t>& newest_line(const FigureTrend& t);

} // namespace bevel::ui
