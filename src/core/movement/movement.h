// A movement as data: phases with key postures, and the checks to judge it by. Read from JSON (data/movements/movement.schema.json).
#pragma once
#include "core/movement/posture.h"
#include "core/movement/rules.h"
#include "core/result.h"
#include <array>
#include <filesystem>
#include <map>
#include <memory>
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <vector>

namespace bevel {

enum class Breath { in, out, free };
enum class Ease { flow, settle };

/// A band that a school, a student or a phase sets in place of the movement's own, or a rule switched off, with the reason for the reader.
struct BandChange {
    std::string rule, measure;             // both must match; an empty one matches all
    std::string check, stance, role, kind; // narrower: one check, phases of a stance or role, movements of a kind
    std::vector<std::string> phases;
    bool planted = false; // only movements whose feet stay flat where they are, all the time
    std::optional<double> low, high;
    bool off = false;
    bool open_low = false, open_high = false; // that end asks for nothing any more
    bool stricter = false;                    // what is beyond the band can hurt this student: it counts as safety
    std::string reason;
    // How a school bends the reference figure in the phases it speaks of, so that its own reference keeps its bands.
    std::optional<double> lean;    // degrees, in place of the movement's
    double higher = 0;             // added to the depth; 0.04 is a tenth of a leg's bend or so
    double step = 1;               // of the way forward of the feet
    std::optional<double> toe_out; // degrees, of both feet, in movements that stand in such a stance from beginning to end
    std::optional<double> weight;  // share on the leading foot
    double forward = 0;            // of the body centre over the feet, foot lengths
    double pelvis = 1;             // share of the pelvis' turn that is left
    std::string lands;             // "heel" or "toe": what a reaching foot comes down with
    bool bends() const { return lean || higher != 0 || step != 1 || toe_out || weight || forward != 0 || pelvis != 1 || !lands.empty(); }
};

/// The posture is reached at the phase's end. Written for the left side; the right side is its mirror image.
struct Phase {
    std::string id, name;
    std::string role, stance; // of the domain; empty: rules do not speak of it
    double duration_s = 1;
    Breath breath = Breath::free;
    Ease ease = Ease::flow; // settle: everything comes to rest at the end
    bool pause = false;     // a pause belongs in it, of any length
    Posture posture;
    std::vector<BandChange> exceptions; // hold in this phase only
    std::string ends_at;                // event its end snaps to: "", "foot_off", "foot_flat", "shift_end", "foot_down"
};

/// Something that isolates a fault, to be practised before the whole.
struct Drill {
    std::string name, about;
    std::vector<std::string> rules; // ids of the rules it helps with
};
struct Movement;
/// How a graded version changes the figure. What it does not name stays as in the movement.
struct VersionChange {
    /// still: both feet stay where they stand at home, weight even. seated: on a chair. shoulder: on feet a shoulder's width apart, knees
    /// only soft. flat: soles down and not turned. toe: what would be off the floor keeps its toe where it stands at home. slide: what
    /// would be off the floor slides over it.
    enum class Feet { as_they_are, still, seated, shoulder, flat, toe, slide } feet = Feet::as_they_are;
    std::string hands;  // "brow", "belly": no higher; "hips": resting there; empty: as they are
    double range = 1;   // of the way from home: bends, turns, height and hands
    double step = 1;    // of the way of the feet over the floor
    bool chair = false; // the right hand (of a left repetition) on the back of a chair beside
    bool operator==(const VersionChange&) const = default;
};
/// What a movement asks of parts of the body and of a person's abilities, 0 (nothing) to 3 (much). Never below what its own figure shows
/// (hands over the crown, a foot in the air, bends and turns of the trunk, depth), which a test looks at.
struct Asks {
    int knees = 1, balance = 1, neck = 0, low_back = 0, shoulders = 0, wrists = 0, hips = 0;
    int overhead = 0; // hands above the head
    int head_low = 0; // bends that bring the head down
    int turning = 0;  // of trunk and head
    struct Part {
        const char* name;
        int Asks::*value;
    };
    static const std::array<Part, 10>& parts();
    bool operator==(const Asks&) const = default;
};

/// An easier way to do a movement. Without a change its words are all there is of it: it is done, and judged, as the movement is.
struct Version {
    std::string name, about;
    std::optional<VersionChange> change;
    std::map<std::string, int> asks; // where it asks for another amount than the movement, by name
    struct Made;
    std::shared_ptr<Made> made; // the movement it makes, once it was asked for
    Version(std::string name, std::string about, std::optional<VersionChange> change = std::nullopt);
};

/// What is held in both hands; a staff or the like. How far it goes beyond the left and the right hand, of stature.
struct Tool {
    double front = 0.2, back = 0.2;
};

/// What a movement was learned from: a figure at the end of a phase over the repetitions that were shown.
struct Recorded {
    struct Spread {
        std::string phase, measure; // measure: key as in Measures::series
        double mean = 0, sd = 0;
        int n = 0;
    };
    std::vector<std::string> clips; // names, for the reader
    int repetitions = 0;
    Side lead = Side::left; // of the repetitions whose spread is told
    std::vector<Spread> spread;
};

struct ScoreKey;

struct Movement {
    std::string id, name, kind, about;
    std::string version;                        // name of the graded version that this is; empty: the movement itself
    bool own = false;                           // of the instructor's, not shipped
    std::shared_ptr<const std::string> source;  // the text it was read from
    std::string pinyin;                         // empty where it has no name in the tradition
    std::vector<std::string> attention, images; // points of attention; pictures for the mind
    std::vector<std::string> trains;            // "legs", "waist", "spine", "shoulders", "balance", "breath"
    Asks asks;
    std::vector<Drill> drills;
    std::vector<Version> versions;
    std::optional<Tool> tool;
    std::optional<Recorded> recorded;
    std::vector<View> best_views;
    std::string feature;                 // measure id whose rise and fall drives the repetitions
    std::vector<std::string> part_names; // of a linked form's whole course: by part; the phases are "PART.PHASE" then, from 1
    /// Of a piece of a linked form: laid out on the floor already, so that it is performed once as it lies there, whoever would lead. Its
    /// phases are those that the keys count.
    std::shared_ptr<const std::vector<ScoreKey>> course;
    std::string twin_of;          // id of a movement in whose place this one stands in a session: unasked, one of the two is enough
    int repetitions = 2;          // a side
    Posture home;                 // where each repetition starts and ends
    std::optional<Posture> stand; // stood in quietly before it, where that is not home with long knees: of a part of a linked form
    std::vector<Phase> phases;
    std::vector<Check> checks;
    std::vector<std::string> needs;    // what its rules may ask for: "driver:feet|waist|arms", "tool", "seat", "heel_first", "toe_first"
    std::vector<BandChange> bands;     // its own departures from the rules
    std::vector<std::string> cautions; // codes, worded by the interface
    double duration_s() const;         // of one repetition
    /// Whether left and right repetitions are the same, posture for posture: no side leads.
    bool symmetric() const;
    /// The home posture with arms hanging and knees long, as stood in before starting.
    Posture quiet() const;
    /// The graded version with this name, made at the first time; the movement itself where there is none or it changes nothing. Lives as
    /// long as any copy of the movement. Schools and agreements are applied to what comes out.
    const Movement& as(const std::string& version) const;
};

/// What a movement asks in one of its graded versions.
Asks asks_of(const Movement& m, const std::string& version);

/// The movement in `text` with the checks that the rules make for it, or bad_value naming the place. A file's own `checks` stand beside
/// those of the rules and in place of those on the same rule, measure and side. Feet may move over the floor only while they are off it.
Result<Movement> parse_movement(const std::string& text, const RuleBook& rules = rule_book());
Result<Movement> load_movement(const std::filesystem::path& file);
/// A graded version as a movement of its own, under the same id; the rules make its checks. not_found without a change, bad_value with the
/// place where what it makes of the movement is none.
Result<Movement> make_version(const Movement& movement, const Version& version);
/// The same movement done from another posture and in other phases, as within a linked form: those of its own that are left, and others
/// before them. The rules make its checks; it need not end where it began. bad_value with the place where that is none.
Result<Movement> with_phases(const Movement& movement, const Posture& stand, const Posture& home, std::vector<Phase> phases);
/// The JSON of a posture, as in a movement file.
nlohmann::json posture_json(const Posture& p);
nlohmann::json version_json(const Version& v);
nlohmann::json asks_json(const Asks& a);
/// Whether two movements differ in bands and words at most: what was summarised for one is judged by the other.
bool same_but_for_bands(const Movement& a, const Movement& b);
/// Applies the changes of a level; later ones win. A school leaves alone what a phase made its own; a student or a clip does not.
void apply(Movement& movement, const std::vector<BandChange>& changes, BandLevel level = BandLevel::school);

struct School {
    std::string id, name, about;
    std::vector<BandChange> changes;
    bool own = false;                          // of the instructor's, not shipped
    std::shared_ptr<const std::string> source; // the text it was read from
};
/// bad_value naming the place.
Result<School> parse_school(const std::string& text);
Result<School> load_school(const std::filesystem::path& file);

/// All shipped movements or schools of the data folder, by file name. A file that cannot be read is reported in `problems`.
std::vector<Movement> load_movements(const std::filesystem::path& data_dir, std::vector<Error>* problems = nullptr);
std::vector<School> load_schools(const std::filesystem::path& data_dir, std::vector<Error>* problems = nullptr);

/// The shipped data folder (core/folders.h).
std::filesystem::path find_data_dir(const std::filesystem::path& program);

/// A whole text file of at most `max_bytes`.
Result<std::string> read_text(const std::filesystem::path& file, std::size_t max_bytes);

} // namespace bevel
