// What is known of a person, all of it, and as lines of text for others.
#pragma once
#include "core/review/trend.h"
#include "store/library.h"

namespace bevel {

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
/// The line the last clip is in.
const std::vector<std::size_t>& newest_line(const FigureTrend& t);

} // namespace bevel
