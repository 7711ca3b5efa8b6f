// What is known of a person, all of it, and as lines of text for others.
#pragma once
#include "core/judge/finding_key.h"
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
    std::vector<KeptTest> tests;
    std::vector<std::int64_t> unmeasured; // clips whose figures are yet to be made
};
Result<PersonSheet> load_person(const Library& library, std::int64_t id);

/// A person in the list of people: their newest clip, and when a clip that was asked for is due (ISO day, empty: none is).
struct PersonLine {
    Person person;
    std::optional<Clip> last;
    std::string look_again;
};
Result<std::vector<PersonLine>> person_lines(const Library& library);

/// A line of the list for the hall: who, the one thing asked last, what they may not do.
struct HallLine {
    std::string name;
    std::string asked;             // own words of the correction; empty: see `key`
    std::string check;             // of the correction, where there is one
    std::vector<Agreement> limits; // in force on that day
};
/// By name. Only the first correction of somebody's last letter: one thing at a time. `day`: ISO.
Result<std::vector<HallLine>> hall_lines(const Library& library, const std::string& day);

/// Lines of comma-separated values (RFC 4180), a head line first.
std::string record_csv(const PersonSheet& sheet);
std::string figures_csv(const PersonSheet& sheet);
std::string practice_csv(const std::vector<PracticeLog>& log);
std::string tests_csv(const std::vector<KeptTest>& tests);
/// What the last letter about a movement asked for, and the figure it is told by.
struct BecameOf {
    FindingKey key;
    std::string words, day;             // the instructor's own, or empty; ISO day of the letter, or of the clip where none was sent
    const FigureTrend* trend = nullptr; // of the sheet; null where no clip tells it
    bool told_since = false;            // by a clip of a later day
};
std::vector<BecameOf> became_of(const PersonSheet& sheet, const std::string& movement);
/// The point that a change is told from: the one before the last of its line, or its first where only the whole way is a change. Null with
/// a single point in the line.
const KeptFigure* changed_from(const FigureTrend& t);
/// The line the last clip is in.
const std::vector<std::size_t>& newest_line(const FigureTrend& t);

} // namespace bevel
