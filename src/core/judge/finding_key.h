// What a finding is known by wherever it is kept: in decisions, letters, agreements and the record. One text form, which reads every form
// that was ever stored.
#pragma once
#include "core/judge/judge.h"
#include <cstdint>

namespace bevel {

struct FindingKey {
    std::string part;  // of a linked form: Finding::part; empty for a movement by itself
    std::string check; // its id; for something that the instructor saw "seen:N"
    std::optional<Side> side;
    Direction direction = Direction::none; // end of the band it is beyond; none: either, or what is praised

    bool operator==(const FindingKey&) const = default;
    bool operator<(const FindingKey& o) const { return text() < o.text(); }

    static FindingKey of(const Finding& f);
    /// From text(), and from what earlier versions kept: "check/side" without a direction, a check alone. What is none of these becomes a
    /// check of that name, which nothing has.
    static FindingKey read(std::string_view text);
    /// From the two columns of a decision.
    static FindingKey read(std::string_view check_and_direction, std::string_view side);

    /// "[PART~]CHECK[.low|.high]/[left|right]".
    std::string text() const;
    /// The part before the slash, and the one after it.
    std::string check_text() const;
    std::string side_text() const;

    /// Whether it speaks of that finding: of the same check and side, and of its direction where it names one.
    bool means(const Finding& f) const;
    /// Of the check and side, whichever end: what becomes of a correction is known by it.
    FindingKey either() const;
    /// Number of what the instructor saw; nothing for what a check told.
    std::optional<std::int64_t> seen() const;
    static std::string seen_check(std::int64_t id);
};

/// Whether it speaks of one of the findings of a remark.
bool means_one_of(const FindingKey& key, const std::vector<const Finding*>& remark);

/// What a letter praises: something that is right, or that became better. Kept as text: a key, "better:" before one, or "".
struct Praise {
    bool better = false;
    FindingKey key;
    bool empty() const { return key.check.empty(); }
    static Praise read(std::string_view text);
    std::string text() const;
};

/// The limit that an agreement is about ("high_stance" of "limit.high_stance"); empty where it is about a check.
std::string limit_of(const std::string& agreed_check);
/// What an agreement about that limit names.
std::string check_of_limit(const std::string& limit);

} // namespace bevel
