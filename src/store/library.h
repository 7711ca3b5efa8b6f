// The library: people, clips, tracks, decisions and letters in one SQLite file in the user's data folder, clips beside it.
#pragma once
#include "core/body/points.h"
#include "core/ground/own_neutral.h"
#include "core/judge/finding_key.h"
#include "core/result.h"
#include "core/review/limits.h"
#include "store/people.h"
#include <cstdint>
#include <filesystem>
#include <functional>
#include <map>
#include <memory>
#include <mutex>
#include <stop_token>
#include <string>
#include <vector>

struct sqlite3;

namespace bevel {

struct Person {
    std::int64_t id = 0;
    std::string name;
    double stature_m = 1.7;
    std::string notes;             // limits and agreed adaptations, as the instructor writes them
    double shoulder_width_m = 0;   // SW as last measured from the front; 0 when it never was
    std::string keep_until{};      // ISO date after which the films may go; empty: no end was chosen
    double fist_m = 0, foot_m = 0; // across the knuckles, heel to toe tip, as marked on a picture; 0: told from the height
    PersonNeutral neutral{};       // what is right for them (Library::set_neutral); empty also where it cannot be read
};

/// `asked`: the body was found, and whose it is or which movement has yet to be said.
enum class ClipState { waiting, tracked, reviewed, failed, asked };
std::string_view state_name(ClipState s);

/// A movement, a school, a template of letters or a plan of the instructor's own, as the text of its file.
enum class Own { movement, school, letter, plan };
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

struct LetterRecord {
    std::int64_t id = 0, clip = 0;
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
    std::string sent_on;                        // ISO date when a file was written or it was said to be sent, else empty
    std::string how, answered_on, answer;       // how it was sent; when and what was answered
};

/// A letter as it went out. Kept as it is for good; only erasing its person takes it away.
struct SentLetter {
    std::int64_t id = 0, person = 0, clip = 0; // clip 0: deleted since
    std::string sent_at;                       // ISO date and time
    std::string kind;                          // "pdf", "html", "print", "clip"
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

/// Any thread may call it. What belongs together is written in one transaction; each call is on the disk when it returns.
class Library {
public:
    /// Opens or makes the library in `folder`; brings an older one up to date, with a copy of what it was beside it
    /// (library-version-N.sqlite), and clears away what a killed run left. One made by a newer program, or in a folder that cannot be
    /// written to, is opened for reading. in_use when another program has it. Else a Trouble.
    /// `reading`: nothing is written, and what can be read of a damaged one is.
    static Result<Library> open(const std::filesystem::path& folder, bool reading = false);
    /// What stands in the way of opening one: "library missing: FOLDER" (films are there, the file is not or is empty; not_found),
    /// "library damaged: FILE" (unreadable), "library full: FILE" (no room; write_failed), "library closed: FILE" (cannot_open).
    enum class Trouble { none, missing, damaged, full, closed };
    static Trouble trouble_of(const Error& e);
    bool read_only() const { return read_only_; }
    /// Rows that point to something that is not there. They stay as they are.
    int dangling() const { return dangling_; }
    /// Runs `work` in one transaction: all of its writes or none.
    Result<bool> together(const std::function<Result<bool>()>& work);
    Library(Library&&) noexcept;
    Library& operator=(Library&&) noexcept;
    ~Library();
    const std::filesystem::path& folder() const { return folder_; }
    static int schema_version();

    /// `day`: from when the height holds; "" from always.
    Result<std::int64_t> add_person(const Person& p, const std::string& day = "");
    Result<bool> update_person(const Person& p); // name and notes
    Result<bool> set_height(std::int64_t person, const std::string& day, double metres);
    Result<std::vector<std::pair<std::string, double>>> heights(std::int64_t person) const; // by day; "" from always
    Result<double> height_at(std::int64_t person, const std::string& day) const;
    Result<bool> set_shoulder_width(std::int64_t person, double metres);
    Result<std::vector<Person>> people() const;
    Result<PersonFacts> facts(std::int64_t person) const;
    Result<bool> set_facts(std::int64_t person, const PersonFacts& f);
    /// What is right for a person and how far they go with ease; their kept figures are to be made anew when it changes. bad_value as
    /// parse_neutral.
    Result<PersonNeutral> neutral(std::int64_t person) const;
    Result<bool> set_neutral(std::int64_t person, const PersonNeutral& neutral);
    Result<Condition> condition(std::int64_t clip) const;
    Result<bool> set_condition(std::int64_t clip, const Condition& c); // bad_value "energy" beyond 0–10
    /// The figures of a clip, in place of those kept before.
    Result<bool> keep_figures(std::int64_t clip, const std::vector<KeptFigure>& figures);
    Result<std::vector<KeptFigure>> figures(std::int64_t person) const;           // by day
    Result<std::vector<std::int64_t>> without_figures(std::int64_t person) const; // clips whose figures are yet to be made
    /// What was asked in the last letter about the same movement that was sent before the day of the clip; empty without any.
    Result<std::vector<AskedBefore>> asked_before(std::int64_t clip) const;
    Result<std::vector<RecordLine>> record(std::int64_t person) const; // newest first

    /// Copies the file into the library and records it; the copy is whole and synced before the record is made. Copying holds nothing up.
    Result<std::int64_t> add_clip(const Clip& c, const std::filesystem::path& source, const std::stop_token& stop = {},
                                  const std::function<void(double)>& progress = {});
    /// A name for a film that is to be written there ("clips/…"), noted as on its way; a clip of a film that was written so; films that
    /// were written and are not wanted. Not inside `together`: a run that is killed there would leave the film unlisted.
    Result<std::string> reserve_film(const std::string& stem, const std::string& extension);
    Result<std::int64_t> adopt_clip(const Clip& c, const std::string& file, const std::string& named);
    Result<bool> release_films(const std::vector<std::string>& files) { return remove_files(files); }
    /// Person, movement, school, view, day, mirrored, footwear, surface; nothing else is touched. A pair that no longer is of one
    /// person and movement is parted.
    Result<bool> set_clip_facts(const Clip& c);
    Result<bool> set_states(std::int64_t clip, const std::vector<SupportState>& states);
    Result<bool> set_meant(std::int64_t clip, const std::optional<MeantPerson>& who);
    /// Two clips of one person and movement from two sides: decisions, letter and state are kept once for both. bad_value "pair".
    Result<bool> pair_clips(std::int64_t a, std::int64_t b);
    Result<bool> part_clips(std::int64_t either);
    /// The clip under which decisions and letter are kept: the first of a pair.
    std::int64_t record_of(std::int64_t clip) const;
    /// The clip becomes the first part; the others are new clips of the same file, with its points. In order, none shorter than a second,
    /// not overlapping: else bad_value "parts".
    Result<std::vector<std::int64_t>> cut_clip(std::int64_t clip, const std::vector<ClipPart>& parts);
    /// All clips of the same file, this one included, by their beginning.
    Result<std::vector<Clip>> parts_of(std::int64_t clip) const;
    /// A new place, or one of that name as it is now.
    Result<std::int64_t> keep_place(const CameraPlace& place);
    Result<std::vector<CameraPlace>> places() const; // newest first
    Result<bool> forget_place(std::int64_t id);
    /// The film of a clip is overwritten and removed; points, decisions and letters stay.
    Result<bool> drop_film(std::int64_t clip);
    Result<bool> set_own_units(std::int64_t person, double fist_m, double foot_m);
    Result<bool> set_keep_until(std::int64_t person, const std::string& day);
    /// How the room looked behind the student (media/scene.h), of the newest clips.
    struct Look {
        std::int64_t clip = 0, person = 0;
        std::string look;
    };
    Result<bool> set_look(std::int64_t clip, const std::string& look);
    Result<std::vector<Look>> looks(int most = 400) const;
    std::uintmax_t room_of(const std::vector<Clip>& clips) const; // bytes of their files
    Result<bool> set_guess(std::int64_t clip, const std::string& guess);
    /// What others competed for it; gone again when its points, its movement or what it is measured by change.
    Result<bool> set_which(std::int64_t clip, const std::string& which);
    /// Judged as that movement whatever it looks like; empty: the others compete again. Its kept figures are to be made anew.
    Result<bool> set_as_named(std::int64_t clip, const std::string& movement);
    /// That its body is being looked for now, and that this came to an end. How often in a row it was begun and never ended: a clip that
    /// ends the program each time is to be left alone.
    Result<bool> begin_attempt(std::int64_t clip);
    Result<bool> end_attempt(std::int64_t clip);
    int attempts(std::int64_t clip) const;
    /// The waiting clips are looked at in this order.
    Result<bool> set_turns(const std::vector<std::int64_t>& clips);
    Result<bool> set_clip_state(std::int64_t clip, ClipState state, const std::string& problem);
    /// The clip that has the same bytes, if any.
    Result<std::optional<Clip>> same_file(const std::filesystem::path& source) const;
    /// A clip whose file was lost gets it back. bad_value "another_clip" when the bytes are not the same.
    Result<bool> replace_file(std::int64_t clip, const std::filesystem::path& source);
    bool has_file(const Clip& c) const;
    Result<bool> delete_clip(std::int64_t id); // letters that were sent stay
    Result<Erased> erase_person(std::int64_t id);
    Result<std::vector<Clip>> clips() const; // newest first
    Result<std::vector<Clip>> find_clips(const ClipQuery& query) const;
    std::int64_t count_clips() const;
    /// A clip whose film is not here: points and record alone.
    Result<std::int64_t> add_clip_record(const Clip& c);
    Result<Clip> clip(std::int64_t id) const;
    std::filesystem::path path_of(const Clip& c) const; // always inside the library's folder

    Result<bool> save_quality(std::int64_t clip, const ClipQuality& quality);
    Result<bool> save_track(std::int64_t clip, const Track& track);
    Result<Track> load_track(std::int64_t clip) const;

    Result<bool> save_unfinished(std::int64_t clip, const Track& so_far, std::size_t done);
    Result<std::optional<Unfinished>> unfinished(std::int64_t clip) const; // none when it cannot be read
    Result<bool> forget_unfinished(std::int64_t clip);

    /// A decision, and with it the clip is reviewed.
    Result<bool> decide(std::int64_t clip, const Decision& d);
    Result<bool> save_decision(std::int64_t clip, const Decision& d);
    Result<std::vector<Decision>> decisions(std::int64_t clip) const;

    /// Writes a new agreement (id 0) or changes one. bad_value "reason", "check", "band" or "days" for one that says nothing.
    Result<std::int64_t> save_agreement(const Agreement& a);
    Result<bool> remove_agreement(std::int64_t id);
    Result<std::vector<Agreement>> agreements(std::int64_t person) const; // by their first day
    /// Those in force for a clip: of its person on the day it was filmed (arrived, where that is not known), then its own.
    Result<std::vector<Agreement>> agreements_for(const Clip& clip) const;

    /// A new one (id 0), or one as it is now (also one that was taken out, under its id). bad_value "words" without any.
    Result<std::int64_t> save_seen(const Remark& s);
    Result<bool> drop_seen(std::int64_t id);
    Result<std::vector<Remark>> seen_in(std::int64_t clip) const; // in order of time

    Result<std::int64_t> save_letter(const LetterRecord& l); // one letter a clip: replaces the earlier draft
    Result<std::vector<LetterRecord>> letters(std::int64_t clip) const;

    /// That a letter went out, how ("none": the clip is done without one); "" takes it back to written. That it was answered, when and
    /// what; "" takes that back.
    Result<bool> set_sent(std::int64_t clip, const std::string& day, const std::string& how);
    Result<bool> set_answered(std::int64_t clip, const std::string& day, const std::string& words);
    /// Letters of a person (0: of all), newest first.
    Result<std::vector<LetterLine>> letter_lines(std::int64_t person = 0) const;
    /// Letters whose day of the next look has come by `day` and to which no newer clip has come, oldest first.
    Result<std::vector<LetterLine>> due(const std::string& day) const;

    /// Keeps own words, or counts them as used once more. bad_value "words" without any.
    Result<std::int64_t> keep_phrase(const Phrase& p);
    Result<bool> drop_phrase(std::int64_t id);
    /// Own words for a check and direction, those for this role first, then by how often they were used. `check` "": all.
    Result<std::vector<Phrase>> phrases(const std::string& check = "", const std::string& direction = "", const std::string& role = "",
                                        const std::string& language = "") const;
    /// How often a correction of this check and side was sent to somebody, and the day of the first and the last letter.
    struct SaidBefore {
        int times = 0;
        std::string first, last;
    };
    Result<SaidBefore> said_before(std::int64_t person, const std::string& movement, const std::string& key) const;

    /// Who waits, longest first: clips whose body was found and to which no letter went out.
    Result<std::vector<Waiting>> waiting() const;

    Result<std::int64_t> keep_practice(const PracticeLog& log); // a new one (id 0), or one as it is now. bad_value "effort", "minutes"
    Result<bool> drop_practice(std::int64_t id);
    Result<std::vector<PracticeLog>> practice(std::int64_t person, const std::string& from_day = "") const; // newest first

    Result<std::int64_t> keep_sent(const SentLetter& l);
    Result<std::vector<SentLetter>> sent(std::int64_t person) const; // newest first, without the bytes
    Result<std::string> sent_file(std::int64_t id) const;

    /// The whole library as one file (a tar archive: the database, each film once, own recordings), and back into a folder that is empty or
    /// not there (bad_value "folder_not_empty"). Films are held against their sums. One that differs or cannot be read whole stops it,
    /// unreadable "damaged films: NAMES", unless they are to be left out.
    Result<BackedUp> back_up_to(const std::filesystem::path& file, const std::string& day, bool without_damaged = false,
                                const std::stop_token& stop = {}, const std::function<void(double)>& progress = {});
    static Result<BackedUp> restore(const std::filesystem::path& file, const std::filesystem::path& folder, bool without_damaged = false,
                                    const std::stop_token& stop = {});
    /// Films against what they were when they came; nothing is changed. Cancelled between two of them.
    Result<BackedUp> check_films(const std::stop_token& stop = {}) const;
    /// Where copies for other programs lie while they are needed; emptied at the start and when somebody is erased.
    std::filesystem::path mail_folder() const { return folder_ / "bevel-mail"; }

    /// Own movements and schools (store/forms.h).
    Result<std::vector<OwnForm>> own_forms(Own what = Own::movement) const;
    Result<bool> keep_form(const OwnForm& form, Own what = Own::movement);
    Result<bool> drop_form(const std::string& id, Own what = Own::movement);
    /// The clip that shows a movement beside students' clips; 0: none.
    Result<bool> set_model(const std::string& movement, std::int64_t clip);
    std::int64_t model_of(const std::string& movement) const;
    /// A setting, empty when it was never made: "signed_by", "place".
    std::string setting(const std::string& key) const;
    Result<bool> set_setting(const std::string& key, const std::string& value);

    /// Writes everything into the one file, for copying it away.
    Result<bool> compact();

private:
    Library(sqlite3* db, std::filesystem::path folder);
    Result<bool> open_for_reading(bool in_spite_of_damage);
    Result<bool> migrate();
    Result<bool> back_up(int version);
    Result<bool> bring_up_in_memory(sqlite3* from);
    bool renew_tracks();
    bool has_heights() const;
    void clean_up();
    std::vector<std::string> mentions_of(const std::string& words) const;
    bool is_used(const std::string& file) const;
    Result<bool> remove_files(const std::vector<std::string>& files);
    Result<std::string> copy_in(const std::filesystem::path& source, const std::stop_token& stop,
                                const std::function<void(double)>& progress);
    /// One write on its own; inside `together` a part of that.
    template <class F> Result<bool> write(F work) {
        const std::lock_guard lock(*mutex_);
        if (read_only_) return fail(Code::write_failed, "read_only");
        return work();
    }
    sqlite3* db_ = nullptr;
    std::filesystem::path folder_;
    std::unique_ptr<std::recursive_mutex> mutex_;
    int lock_ = -1;
    bool read_only_ = false, in_memory_ = false;
    int depth_ = 0, dangling_ = 0;
};

/// A track as bytes (format 2, see track_blob.cpp). Reading knows format 1 too, is bounded and refuses what does not add up.
std::string pack_track(const Track& track);
/// The layers alone, as text.
std::string pack_marks(const Layers& layers);
Result<Layers> unpack_marks(const std::string& text);
Result<Track> unpack_track(const std::string& bytes);

} // namespace bevel
