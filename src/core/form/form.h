// Linked forms: movements one after another, as data. Read from JSON (data/forms/form.schema.json) and linked into one continuous course:
// feet that stand where the last movement left them, weight, the way faced, hands.
#pragma once
#include "core/movement/score.h"
#include <span>

namespace bevel {

/// One entry of a form: a movement, as often as it is done before the next one begins.
struct FormPart {
    std::string movement, version;   // ids; version empty: the movement itself
    std::optional<std::string> name; // as this form calls it
    std::string group;               // parts of one group are taught together; empty: none
    Side side = Side::left;          // leads
    int repeats = 1;
    bool alternate = false;  // the sides take turns in the repeats
    std::string from, until; // ids of the first and the last phase that is done; empty: all
    double turn = 0;         // before it, degrees to own left
    double pace = 1;         // of the movement's own times
    bool operator==(const FormPart&) const = default;
};

struct LinkedForm {
    std::string id, name, about, kind, pinyin;
    std::vector<FormPart> parts;
    double join_s = 1.2;               // of one step of a join
    std::vector<std::string> cautions; // codes, beside those of its movements
    std::vector<std::string> schools;  // ids; it is theirs. Empty: everybody's
    bool own = false;                  // of the instructor's, not shipped
    std::shared_ptr<const std::string> source;
};

/// What a clip of a form is of, in place of a movement's id: "form:ID".
inline constexpr std::string_view form_prefix = "form:";
inline std::string clip_id(const LinkedForm& f) {
    return std::string(form_prefix) + f.id;
}
/// The form as lists of movements name it: its names, what it asks at the most, the cautions of all its parts. It has no checks, and its
/// figure is that of its first movement; nothing where that is not there.
std::optional<Movement> face_of(const LinkedForm& form, std::span<const Movement> movements);

/// bad_value naming the place. Whether its movements are there is asked when it is linked.
Result<LinkedForm> parse_form(const std::string& text);
std::string form_json(const LinkedForm& form);
/// All shipped forms of the data folder, by file name. What cannot be read is reported in `problems`.
std::vector<LinkedForm> load_forms(const std::filesystem::path& data_dir, std::vector<Error>* problems = nullptr);

/// One repetition in the course of a form.
struct LinkedPart {
    std::size_t entry = 0; // of the form's parts
    int repeat = 0;        // of that entry, from 0
    Side side = Side::left;
    /// What is done here, as written for the left side: the join from where the part before left off, then the movement's own phases. Home
    /// is the posture that the join begins with.
    std::shared_ptr<const Movement> movement;
    std::size_t joins = 0; // so many of its phases are the join
    FloorFrame frame;      // where it lies on the floor
    double duration_s() const { return movement->duration_s(); }
    /// A posture of `movement` as it is done here.
    Posture as_done(const Posture& p) const { return side == Side::left ? p : p.mirrored(); }
};

struct LinkedCourse {
    Posture stand; // quietly, before it
    std::vector<LinkedPart> parts;
    Movement whole;             // all phases one after another; the id of one is "PART.PHASE", PART counted from 1
    std::vector<ScoreKey> keys; // with standing by before and after; `repetition` counts the parts
    Score score() const { return {whole, keys}; }
};

/// What a school, a student and a clip change in all its movements, in this order.
struct FormBands {
    std::vector<BandChange> school, student, clip;
};

/// What the phases of joins are called.
const std::vector<std::string>& join_names();

/// not_found with the name of a movement, a version or a phase that is not there; bad_value with the place of what cannot be linked.
Result<LinkedCourse> link(const LinkedForm& form, std::span<const Movement> movements, const FormBands& bands = {});

} // namespace bevel
