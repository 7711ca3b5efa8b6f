// What is known of a person beyond name and height, the state of the day, and the figures kept of each clip.
#pragma once
#include "core/review/trend.h"
#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace bevel {

/// A movement somebody is being taught: which graded version, and up to which phase.
struct Taught {
    std::string movement, version, up_to; // up_to: id of a phase; empty: all of it
};

/// What somebody agreed that their clips are used for.
enum class Purpose {
    kept,    // kept and looked at here
    shown,   // shown to others who practise here
    learned, // assistants learn to see from them
};
inline constexpr int purposes = 3;
std::string_view purpose_name(Purpose p);

/// One agreement to one purpose; taken back, it stays as it was.
struct Consent {
    Purpose purpose = Purpose::kept;
    std::string from, until; // ISO days; until: the day on which it was taken back, empty: it was not
    bool operator==(const Consent&) const = default;
};

/// Never a diagnosis: what the person wants and what was agreed.
struct PersonFacts {
    std::string alias, goals, consent; // consent: how it was given, in words; what for is in `consents` alone
    std::vector<Consent> consents;     // in the order in which they were given
    std::string language;              // letters are written in it: "en", "de"; empty: as the program speaks
    std::string email;                 // where the mail program is to send them
    std::string lengths;               // in their letters: "cm", "in"; empty: as the program shows them
    int balance_step = 0;              // of the balance ladder (core/practice/plan.h); 0: not known
    std::vector<Taught> taught;
};

/// The one gate for whoever shows clips of somebody to others: whether that day they agree to this purpose.
bool agrees(const PersonFacts& facts, Purpose purpose, const std::string& day);
/// As it is from that day on; nothing changes where it is so already. Given and taken back on one day, it was never given.
void set_consent(PersonFacts& facts, Purpose purpose, bool agreed, const std::string& day);

/// How it went on the day of a clip, as the person says.
struct Condition {
    std::string pain;          // where; empty: none was said
    std::optional<int> energy; // 0–10
};

/// What to practise until the next clip.
struct Homework {
    std::string movement; // id, or own words
    int times_a_day = 0, a_side = 0;
    double hold_s = 0;
    bool empty() const { return movement.empty() && times_a_day == 0 && a_side == 0 && hold_s == 0; }
    bool operator==(const Homework&) const = default;
};

/// What goes with a correction beside its cue.
struct WithCorrection {
    std::string drill, image; // name of the drill; a picture for the mind
    Homework homework;
    bool empty() const { return drill.empty() && image.empty() && homework.empty(); }
    bool operator==(const WithCorrection&) const = default;
};

/// The instructor's own words for a rule in one direction, in phases of a role; learned from rewording.
struct Phrase {
    std::int64_t id = 0;
    std::string check, direction, role, language, words; // direction: "low", "high" or ""; role may be empty
    int used = 0;
    std::string last_on; // ISO day
};

/// A letter by what became of it.
enum class LetterState { draft, written, sent, answered };
struct LetterLine {
    std::int64_t clip = 0, person = 0;
    std::string name, alias, movement;
    LetterState state = LetterState::draft;
    std::string sent_on, how, answered_on, review_on; // ISO days; how: "mail", "message", "hand", "print"
    std::string newer_clip_on;                        // day of the newest clip of the same movement after it; empty: none came yet
};

/// Somebody's practice, as it was told in ten seconds.
struct Practised {
    std::string movement, kind; // id and kind of a movement
    int left = 0, right = 0;    // repeats
    double seconds = 0;
};
struct PracticeLog {
    std::int64_t id = 0, person = 0; // person 0: a group, or the instructor
    std::string day, title;
    double minutes = 0;
    std::optional<int> effort; // 0–10
    std::string felt, pain;    // pain: where; empty: none was said
    std::vector<Practised> done;
    std::string plan; // the plan that was run, as its text; empty: none
};

/// A clip that waits for the instructor.
struct Waiting {
    std::int64_t clip = 0, person = 0;
    std::string name, movement, arrived_on, filmed_on;
    std::string asked_on;           // day of the last letter about this movement
    std::vector<std::string> asked; // keys of what it asked for
    bool unnamed = false;           // whose it is or which movement is yet to be said
};

/// What the last letter before a clip asked for.
struct AskedBefore {
    std::string key, words, day; // key: "check/side" as in a letter; words: the instructor's own, or empty; day it was sent
};

/// One thing of a person's life with Bevel, by its day.
struct RecordLine {
    enum class What { clip, kept, remark, letter, agreed, practice, day };
    std::string day;
    What what = What::clip;
    std::int64_t clip = 0;
    std::string movement, view, check, side, words; // what applies
};

} // namespace bevel
