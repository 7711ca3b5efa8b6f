// What is known of a person beyond name and height, the state of the day, and the figures kept of each clip.
#pragma once
#include "core/review/trend.h"
#include <string>
#include <vector>

namespace bevel {

/// A movement somebody is being taught: which graded version, and up to which phase.
struct Taught {
    std::string movement, version, up_to; // up_to: id of a phase; empty: all of it
};

/// Never a diagnosis: what the person wants and what was agreed.
struct PersonFacts {
    std::string alias, goals, consent; // consent: when, and to what
    std::vector<Taught> taught;
};

/// How it went on the day of a clip, as the person says.
struct Condition {
    std::string pain;          // where; empty: none was said
    std::optional<int> energy; // 0–10
};

/// What the last letter before a clip asked for.
struct AskedBefore {
    std::string key, words, day; // key: "check/side" as in a letter; words: the instructor's own, or empty; day it was sent
};

/// One thing of a person's life with Bevel, by its day.
struct RecordLine {
    enum class What { clip, kept, remark, letter, agreed };
    std::string day;
    What what = What::clip;
    std::int64_t clip = 0;
    std::string movement, view, check, side, words; // what applies
};

} // namespace bevel
