// What the library keeps, as values.
#pragma once
#include "core/body/points.h"
#include "core/fit/fit.h"
#include "core/ground/own_neutral.h"
#include "core/judge/finding_key.h"
#include "core/result.h"
#include "core/review/limits.h"
#include "store/people.h"
#include <cstdint>
#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace bevel {

struct Person {
    std::int64_t id = 0;
    std::string name;
    double stature_m = 1.7;
    std::string notes;             // limits and agreed adaptations, as the instructor writes them
    double shoulder_width_m = 0;   // SW as last measured from the front; 0 when it never was
    std::string keep_until{};      // ISO date after which the films may go; empty: no end was chosen
    double fist_m = 0, foot_m = 0; // across the knuckles, heel to toe tip, as marked on a picture; 0: told from the height
    PersonNeutral neutral{};       // what is right for them (PeopleStore::set_neutral); empty also where it cannot be read
    bool height_said = true;       // else stature_m is what grown people are, and no clip is measured by it
};

/// `asked`: the body was found, and whose it is or which movement has yet to be said.
enum class ClipState { waiting, tracked, reviewed, failed, asked };
std::string_view state_name(ClipState s);

/// A movement, a school, a template of letters, a plan or a linked form of the instructor's own, as the text of its file.
enum class Own { movement, school, letter, plan, linked };
struct OwnForm {
    std::string id, body;
};

/// How well a clip could be read.
struct ClipQuality {
    double found = 0;           // share of frames on which the body was found
    double frames_per_s = 0;    // of the clip
    bool vertical_seen = false; // from upright edges of the room; else the camera is taken as level
    bool neutral_seen = false;  // a quiet upright second was found
    std::vector<Limit> limits;  // what stands in the way of judging it, and where
};

/// Which of several people on a picture is meant: a place on their body (pixels) at a time.
struct MeantPerson {
    double time_s = 0, x = 0, y = 0;
};

struct Clip {
    std::int64_t id = 0, person = 0;   // person 0: nobody has said yet whose it is
    std::string file;                  // relative to the library's folder
    std::string movement;              // id; empty: not said yet
    std::string school;                // id or empty
    std::string view;                  // declared view, empty: told from the clip
    std::string filmed_on, arrived_on; // ISO dates
    ClipState state = ClipState::waiting;
    std::string problem;                // reason code when failed
    std::optional<ClipQuality> quality; // once the body was looked for
    bool mirrored = false;              // the picture shows left and right swapped
    std::string hash;                   // SHA-256 of the file; empty for clips taken in before it was kept
    std::string named;                  // the file's name as it came
    std::string guess;                  // JSON: what the clip itself tells (intake.h); empty once it was said, or before it was looked at
    std::int64_t turn = 0;              // place in the queue: lower ones are looked at first
    std::int64_t pair = 0;              // the clip of the same movement from another side; 0: none
    std::optional<double> part_from_s, part_to_s; // of a file that was cut into parts
    std::vector<SupportState> states;             // a hand on a support, seated: from–to
    std::string footwear, surface;                // "barefoot", "socks", "soft", "firm"; "slippery", "smooth", "rough"; empty: not said
    std::optional<MeantPerson> meant;
    std::optional<std::string> version; // graded version it shows; not set: as the person is taught it, until it is first judged
    std::string which;                  // JSON: the other movements that it may show (core/review/which.h); empty: not looked for yet
    std::string as_named;               // the movement a person says it shows whatever it looks like; empty: nobody did
    bool film_dropped = false;          // deleted on purpose; points and findings stay
    bool is_part() const { return part_from_s || part_to_s; }
};

/// A stretch of a file that becomes a clip of its own, s.
struct ClipPart {
    double from_s = 0, to_s = 0;
};

/// A place where a camera stands again and again, with what was marked there.
struct CameraPlace {
    std::int64_t id = 0;
    std::string name;
    int width = 0, height = 0; // of its pictures
    Layers marks;              // vertical, scale, floor, plan and lens; nothing of one clip
    std::string look;          // small grey picture of the room without the student (see core/review/look.h)
};

/// What a list of clips is asked for. A clip fits when each word fits it somewhere.
struct ClipQuery {
    struct Word {
        std::string text;                   // in the person's name, the file's, or the day as ISO writes it
        std::vector<std::string> movements; // ids whose names have it
        std::vector<ClipState> states;      // whose names have it
        std::string day_part;               // "-11-": of the month that is meant; empty: none
    };
    std::vector<Word> words;
    std::vector<ClipState> states; // only these; empty: all
    std::int64_t person = 0;       // 0: all
    std::size_t most = 400;        // newest ones; those that wait or are asked about are there in any case
};

/// What is kept of two clips filmed at once: the body fitted to both, or why there is none.
struct KeptFit {
    std::string made_of, why;
    std::optional<FittedBody> body{};
};

/// A body that is being looked for: points of the first `done` frames.
struct Unfinished {
    Track track;
    std::size_t done = 0;
};

enum class Choice { open, kept, set_aside };

/// What the instructor decided about one finding of a clip.
struct Decision {
    FindingKey key;
    Choice choice = Choice::open;
    std::string wording; // empty: the movement's own cue
    std::string note;
    Decision() = default;
    Decision(FindingKey about, Choice c, std::string words = {}, std::string why = {})
        : key(std::move(about)), choice(c), wording(std::move(words)), note(std::move(why)) {}
    /// `check`: with its direction, as FindingKey::check_text.
    Decision(std::string_view check, std::string_view side, Choice c, std::string words = {}, std::string why = {})
        : Decision(FindingKey::read(check, side), c, std::move(words), std::move(why)) {}
};

/// A band agreed with a person, or set for one clip alone, with the reason. Exactly one of person and clip is not 0.
struct Agreement {
    std::int64_t id = 0, person = 0, clip = 0;
    std::string check;               // id of the check, of any movement; of a limit check_of_limit
    std::optional<double> low, high; // ends that it sets; none with `off`
    bool off = false;                // the check is not judged
    std::string reason;              // never empty
    /// The limit it is ("high_stance"), empty where it is about a check.
    std::string limit() const { return limit_of(check); }
    std::string from_day, until_day; // ISO dates, both included; empty: open
};

/// Something the instructor saw and no measure told; kept under the clip it was seen in.
struct Remark {
    std::int64_t id = 0, clip = 0;
    double time_s = 0;
    int family = 0;   // of the ground-up column, 0 feet …
    std::string side; // "left", "right" or ""
    bool safety = false;
    std::string words; // what to do; never empty
};

/// What a letter says of another clip of the same visit.
struct LetterPart {
    std::int64_t clip = 0;
    std::vector<std::string> checks;            // as of the letter
    std::map<std::string, WithCorrection> with; // by key of the correction
    bool operator==(const LetterPart&) const = default;
};

struct LetterRecord {
    std::int64_t id = 0, clip = 0;
    std::int64_t person = 0;         // to whom it is, as kept with it: told by the clip when it is saved
    std::string praise;              // check id of the thing that went well
    std::vector<std::string> checks; // "check/side" of up to three corrections
    std::string opening, closing;    // free text
    bool hide_identity = false, hide_date = false;
    std::string signed_by, place;               // as the letter goes out; kept as settings for the next one
    std::string language;                       // "en", "de"; empty: as the program speaks
    std::string review_on;                      // ISO day of the next look; empty: none was named
    bool short_form = false;                    // words alone, without pictures
    bool large = false;                         // large type
    std::map<std::string, WithCorrection> with; // by key of the correction
    // Clips of the same visit that this letter answers too. What it says of them is kept with them as well, as if each had a letter of its
    // own: so "what was asked last time" knows it.
    std::vector<LetterPart> also;
    std::vector<std::int64_t> apart;      // clips of the visit that are to have letters of their own
    std::int64_t goes_with = 0;           // the clip whose letter answers this one; 0: its own
    std::string sent_on;                  // ISO date when a file was written or it was said to be sent, else empty
    std::string how, answered_on, answer; // how it was sent; when and what was answered
};

/// Ending of the file of a letter that was sent, by its kind.
inline std::string ending_of(const std::string& kind) {
    return kind == "html"    ? ".html"
           : kind == "text"  ? ".txt"
           : kind == "clip"  ? ".mp4"
           : kind == "card"  ? ".png"
           : kind == "sound" ? ".ogg"
                             : ".pdf";
}

/// A letter as it went out. Kept as it is for good; only erasing its person takes it away.
struct SentLetter {
    std::int64_t id = 0, person = 0, clip = 0; // clip 0: deleted since
    std::string sent_at;                       // ISO date and time
    std::string kind;                          // "pdf", "html", "print", "text", "clip", "card", "sound"
    std::string name;                          // of the file that was written
    bool hidden = false;
    std::string body; // JSON: texts, figures, frames of the pictures
    std::string file; // the very bytes; empty in lists
};

/// What went with an erased person, and files that may still hold something of them.
struct Erased {
    int clips = 0, letters = 0;
    int phrases = 0; // own words that named the person, and are offered for nobody else now
    std::vector<std::string> backups;
    std::vector<std::string> shared_with; // people who are parts of the same files, which therefore stay
    std::vector<std::string> mentions;    // where else the name still stands: "own_plan", "own_letter", "practice" … (names of tables)
};

/// What became of the films of a backup or of a restored library.
struct BackedUp {
    int films = 0;
    std::vector<std::string> damaged; // names of films that are not as they came, or cannot be read: left out
    int missing = 0;                  // clips whose film is not here
};

} // namespace bevel
