// The library: people, clips, tracks, decisions and letters in one SQLite file in the user's data folder, clips beside it.
#pragma once
#include "core/body/points.h"
#include "core/result.h"
#include <cstdint>
#include <filesystem>
#include <memory>
#include <string>
#include <vector>

struct sqlite3;

namespace bevel {

struct Person {
    std::int64_t id = 0;
    std::string name;
    double stature_m = 1.7;
    std::string notes;           // limits and agreed adaptations, as the instructor writes them
    double shoulder_width_m = 0; // SW as last measured from the front; 0 when it never was
};

enum class ClipState { waiting, tracked, reviewed, failed };
std::string_view state_name(ClipState s);

/// How well a clip could be read.
struct ClipQuality {
    double found = 0;           // share of frames on which the body was found
    double frames_per_s = 0;    // of the clip
    bool vertical_seen = false; // from upright edges of the room; else the camera is taken as level
    bool neutral_seen = false;  // a quiet upright second was found
};

struct Clip {
    std::int64_t id = 0, person = 0;
    std::string file;                  // relative to the library's folder
    std::string movement;              // id
    std::string school;                // id or empty
    std::string view;                  // declared view, empty: told from the clip
    std::string filmed_on, arrived_on; // ISO dates
    ClipState state = ClipState::waiting;
    std::string problem;                // reason code when failed
    std::optional<ClipQuality> quality; // once the body was looked for
    bool mirrored = false;              // the picture shows left and right swapped
};

enum class Choice { open, kept, set_aside };

/// What the instructor decided about one finding of a clip.
struct Decision {
    std::string check;
    std::string side; // "left", "right" or ""
    Choice choice = Choice::open;
    std::string wording; // empty: the movement's own cue
    std::string note;
};

/// A band agreed with a person, or set for one clip alone, with the reason. Exactly one of person and clip is not 0.
struct Agreement {
    std::int64_t id = 0, person = 0, clip = 0;
    std::string check;               // id of the check, of any movement
    std::optional<double> low, high; // ends that it sets; none with `off`
    bool off = false;                // the check is not judged
    std::string reason;              // never empty
    std::string from_day, until_day; // ISO dates, both included; empty: open
};

struct LetterRecord {
    std::int64_t id = 0, clip = 0;
    std::string praise;              // check id of the thing that went well
    std::vector<std::string> checks; // "check/side" of up to three corrections
    std::string opening, closing;    // free text
    bool hide_identity = false;
    std::string signed_by, place; // as the letter goes out; kept as settings for the next one
    std::string sent_on;          // ISO date when exported, else empty
};

class Library {
public:
    /// Opens or makes the library in `folder`; brings an older one up to date, with a copy of what it was beside it
    /// (library-version-N.sqlite). cannot_open, unreadable (damaged or newer than this
    /// program).
    static Result<Library> open(const std::filesystem::path& folder);
    Library(Library&&) noexcept;
    Library& operator=(Library&&) noexcept;
    ~Library();
    const std::filesystem::path& folder() const { return folder_; }
    static int schema_version();

    Result<std::int64_t> add_person(const Person& p);
    Result<bool> update_person(const Person& p); // name, height and notes
    Result<bool> set_shoulder_width(std::int64_t person, double metres);
    Result<std::vector<Person>> people() const;

    /// Copies the file into the library and records it; the copy is whole before the record is made.
    Result<std::int64_t> add_clip(const Clip& c, const std::filesystem::path& source);
    Result<bool> update_clip(const Clip& c);
    Result<std::vector<Clip>> clips() const; // newest first
    Result<Clip> clip(std::int64_t id) const;
    std::filesystem::path path_of(const Clip& c) const { return folder_ / c.file; }

    Result<bool> save_quality(std::int64_t clip, const ClipQuality& quality);
    Result<bool> save_track(std::int64_t clip, const Track& track);
    Result<Track> load_track(std::int64_t clip) const;

    Result<bool> save_decision(std::int64_t clip, const Decision& d);
    Result<std::vector<Decision>> decisions(std::int64_t clip) const;

    /// Writes a new agreement (id 0) or changes one. bad_value "reason", "check", "band" or "days" for one that says nothing.
    Result<std::int64_t> save_agreement(const Agreement& a);
    Result<bool> remove_agreement(std::int64_t id);
    Result<std::vector<Agreement>> agreements(std::int64_t person) const; // by their first day
    /// Those in force for a clip: of its person on the day it was filmed (arrived, where that is not known), then its own.
    Result<std::vector<Agreement>> agreements_for(const Clip& clip) const;

    Result<std::int64_t> save_letter(const LetterRecord& l); // one letter a clip: replaces the earlier draft
    Result<std::vector<LetterRecord>> letters(std::int64_t clip) const;

    /// A setting, empty when it was never made: "signed_by", "place".
    std::string setting(const std::string& key) const;
    Result<bool> set_setting(const std::string& key, const std::string& value);

    /// Writes everything into the one file, for copying it away.
    Result<bool> compact();

private:
    Library(sqlite3* db, std::filesystem::path folder) : db_(db), folder_(std::move(folder)) {}
    Result<bool> migrate();
    Result<bool> back_up(int version);
    bool renew_tracks();
    sqlite3* db_ = nullptr;
    std::filesystem::path folder_;
};

/// A track as bytes (format 2, see track_blob.cpp). Reading knows format 1 too, is bounded and refuses what does not add up.
std::string pack_track(const Track& track);
Result<Track> unpack_track(const std::string& bytes);

} // namespace bevel
