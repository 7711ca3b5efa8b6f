// The library's subjects, one class each, over one connection. Each is a view: cheap to make, gone before its library.
// Any thread may call them; each call is on the disk when it returns; within Library::together all of them or none.
#pragma once
#include "store/classes.h"
#include "store/courses.h"
#include "store/quiet_tests.h"
#include "store/records.h"
#include "store/seeing.h"
#include <functional>
#include <mutex>
#include <stop_token>

struct sqlite3;

namespace bevel {

class Connection;
class PeopleStore;
class RecordStore;
class ClipStore;
class TrackStore;
class PlaceStore;
class DecisionStore;
class LetterStore;
class PracticeStore;
class ClassStore;
class CourseStore;
class QuietTestStore;
class FormStore;
class BackupStore;
class SeeingStore;
class SettingStore;

/// What all subjects have: the connection, and the way to the others.
class Store {
public:
    explicit Store(Connection& connection);

protected:
    /// All writes of `work` or none; a part of the larger whole inside another.
    Result<bool> together(const std::function<Result<bool>()>& work) const;
    /// One write on its own; inside `together` a part of that.
    Result<bool> write(const std::function<Result<bool>()>& work) const;
    PeopleStore people() const;
    RecordStore records() const;
    ClipStore clips() const;
    TrackStore tracks() const;
    PlaceStore places() const;
    DecisionStore decisions() const;
    LetterStore letters() const;
    PracticeStore practice() const;
    ClassStore classes() const;
    CourseStore courses() const;
    QuietTestStore quiet_tests() const;
    SeeingStore seeing() const;
    FormStore forms() const;
    BackupStore backups() const;
    SettingStore settings() const;
    Connection& connection_;
    sqlite3* const db_;
    std::recursive_mutex* const mutex_;
    const std::filesystem::path& folder_;
    const bool& read_only_;
};

/// People: who they are, what is right for them, erasing them.
class PeopleStore : public Store {
public:
    using Store::Store;
    /// `day`: from when the height holds; "" from always.
    Result<std::int64_t> add(const Person& p, const std::string& day = "");
    Result<bool> update(const Person& p); // name and notes
    Result<bool> set_height(std::int64_t person, const std::string& day, double metres);
    /// As if nobody had ever said one.
    Result<bool> forget_heights(std::int64_t person);
    Result<std::vector<std::pair<std::string, double>>> heights(std::int64_t person) const; // by day; "" from always
    Result<double> height_at(std::int64_t person, const std::string& day) const;
    Result<bool> set_shoulder_width(std::int64_t person, double metres);
    Result<std::vector<Person>> all() const;
    Result<PersonFacts> facts(std::int64_t person) const;
    Result<bool> set_facts(std::int64_t person, const PersonFacts& f);
    /// What is right for a person and how far they go with ease; their kept figures are to be made anew when it changes. bad_value as
    /// parse_neutral.
    Result<PersonNeutral> neutral(std::int64_t person) const;
    Result<bool> set_neutral(std::int64_t person, const PersonNeutral& neutral);
    Result<bool> set_own_units(std::int64_t person, double fist_m, double foot_m);
    Result<bool> set_keep_until(std::int64_t person, const std::string& day);
    Result<Erased> erase(std::int64_t id);

private:
    bool has_heights() const;
    std::vector<std::string> mentions_of(const std::string& words) const;
};

/// What a person's record is made of: figures, the state of the day, what was asked before.
class RecordStore : public Store {
public:
    using Store::Store;
    Result<Condition> condition(std::int64_t clip) const;
    Result<bool> set_condition(std::int64_t clip, const Condition& c); // bad_value "energy" beyond 0–10
    /// The figures of a clip, in place of those kept before.
    Result<bool> keep_figures(std::int64_t clip, const std::vector<KeptFigure>& figures);
    Result<std::vector<KeptFigure>> figures(std::int64_t person) const;           // by day
    Result<std::vector<std::int64_t>> without_figures(std::int64_t person) const; // clips whose figures are yet to be made
    /// What was asked in the last letter about the same movement that was sent before the day of the clip; empty without any.
    Result<std::vector<AskedBefore>> asked_before(std::int64_t clip) const;
    Result<std::vector<RecordLine>> lines(std::int64_t person) const; // newest first
};

/// Clips: their films, facts, parts and pairs.
class ClipStore : public Store {
public:
    using Store::Store;
    /// Copies the file into the library and records it; the copy is whole and synced before the record is made. Copying holds nothing up.
    Result<std::int64_t> add(const Clip& c, const std::filesystem::path& source, const std::stop_token& stop = {},
                             const std::function<void(double)>& progress = {});
    /// A name for a film that is to be written there ("clips/…"), noted as on its way; a clip of a film that was written so; films that
    /// were written and are not wanted. Not inside `together`: a run that is killed there would leave the film unlisted.
    Result<std::string> reserve_film(const std::string& stem, const std::string& extension);
    Result<std::int64_t> adopt(const Clip& c, const std::string& file, const std::string& named);
    Result<bool> release_films(const std::vector<std::string>& files) { return remove_files(files); }
    /// Person, movement, school, view, day, mirrored, footwear, surface; nothing else is touched. A pair that no longer is of one
    /// person and movement is parted.
    Result<bool> set_facts(const Clip& c);
    Result<bool> set_states(std::int64_t clip, const std::vector<SupportState>& states);
    Result<bool> set_meant(std::int64_t clip, const std::optional<MeantPerson>& who);
    /// Two clips of one person and movement from two sides: decisions, letter and state are kept once for both. bad_value "pair".
    Result<bool> pair(std::int64_t a, std::int64_t b);
    Result<bool> part(std::int64_t either);
    /// The clip under which decisions and letter are kept: the first of a pair.
    std::int64_t record_of(std::int64_t clip) const;
    /// The clip becomes the first part; the others are new clips of the same file, with its points. In order, none shorter than a second,
    /// not overlapping: else bad_value "parts".
    Result<std::vector<std::int64_t>> cut(std::int64_t clip, const std::vector<ClipPart>& parts);
    /// All clips of the same file, this one included, by their beginning.
    Result<std::vector<Clip>> parts_of(std::int64_t clip) const;
    /// The film of a clip is overwritten and removed; points, decisions and letters stay.
    Result<bool> drop_film(std::int64_t clip);
    std::uintmax_t room_of(const std::vector<Clip>& clips) const; // bytes of their files
    Result<bool> set_guess(std::int64_t clip, const std::string& guess);
    /// What others competed for it; gone again when its points, its movement or what it is measured by change.
    Result<bool> set_which(std::int64_t clip, const std::string& which);
    /// Judged as that movement whatever it looks like; empty: the others compete again. Its kept figures are to be made anew.
    Result<bool> set_as_named(std::int64_t clip, const std::string& movement);
    /// The waiting clips are looked at in this order.
    Result<bool> set_turns(const std::vector<std::int64_t>& clips);
    Result<bool> set_state(std::int64_t clip, ClipState state, const std::string& problem);
    /// The clip that has the same bytes, if any.
    Result<std::optional<Clip>> same_file(const std::filesystem::path& source) const;
    /// A clip whose file was lost gets it back. bad_value "another_clip" when the bytes are not the same.
    Result<bool> replace_file(std::int64_t clip, const std::filesystem::path& source);
    bool has_file(const Clip& c) const;
    Result<bool> remove(std::int64_t id);  // letters that were sent stay
    Result<std::vector<Clip>> all() const; // newest first
    Result<std::vector<Clip>> find(const ClipQuery& query) const;
    std::int64_t count() const;
    /// A clip whose film is not here: points and record alone.
    Result<std::int64_t> add_record(const Clip& c);
    Result<Clip> get(std::int64_t id) const;
    std::filesystem::path path_of(const Clip& c) const; // always inside the library's folder

private:
    friend class PeopleStore; // erases films
    bool is_used(const std::string& file) const;
    Result<bool> remove_files(const std::vector<std::string>& files);
    Result<std::string> copy_in(const std::filesystem::path& source, const std::stop_token& stop,
                                const std::function<void(double)>& progress);
};

/// Points of clips, finished and unfinished, and how well they could be read.
class TrackStore : public Store {
public:
    using Store::Store;
    /// That its body is being looked for now, and that this came to an end. How often in a row it was begun and never ended: a clip that
    /// ends the program each time is to be left alone.
    Result<bool> begin_attempt(std::int64_t clip);
    Result<bool> end_attempt(std::int64_t clip);
    int attempts(std::int64_t clip) const;
    Result<bool> save_quality(std::int64_t clip, const ClipQuality& quality);
    Result<bool> save(std::int64_t clip, const Track& track);
    Result<Track> load(std::int64_t clip) const;
    Result<bool> save_unfinished(std::int64_t clip, const Track& so_far, std::size_t done);
    Result<std::optional<Unfinished>> unfinished(std::int64_t clip) const; // none when it cannot be read
    Result<bool> forget_unfinished(std::int64_t clip);
    /// Two clips filmed at once, in either order: the body fitted to both (its times on the clock of the one with the lower id), or why
    /// there is none; `made_of` tells from what. What was kept of either before goes. One clip twice: what was fitted to it by itself.
    Result<bool> keep_fit(std::int64_t a, std::int64_t b, const KeptFit& fit);
    std::string sum_of_points(std::int64_t clip) const; // of the points and what is laid over them; empty without any
    Result<std::optional<KeptFit>> fit_of(std::int64_t a, std::int64_t b) const; // none when it cannot be read
};

/// Places where a camera stands again and again, and how rooms look.
class PlaceStore : public Store {
public:
    using Store::Store;
    /// A new place, or one of that name as it is now.
    Result<std::int64_t> keep(const CameraPlace& place);
    Result<std::vector<CameraPlace>> all() const; // newest first
    Result<bool> forget(std::int64_t id);
    /// How the room looked behind the student (media/scene.h), of the newest clips.
    struct Look {
        std::int64_t clip = 0, person = 0;
        std::string look;
    };
    Result<bool> set_look(std::int64_t clip, const std::string& look);
    Result<std::vector<Look>> looks(int most = 400) const;
};

/// What was decided about clips and agreed with people, and what the instructor saw.
class DecisionStore : public Store {
public:
    using Store::Store;
    /// A decision, and with it the clip is reviewed.
    Result<bool> decide(std::int64_t clip, const Decision& d);
    Result<bool> save(std::int64_t clip, const Decision& d);
    Result<std::vector<Decision>> of(std::int64_t clip) const;
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
};

/// Letters: drafts, what was sent, own wordings, who waits.
class LetterStore : public Store {
public:
    using Store::Store;
    /// One letter a clip: replaces the earlier draft; with it what is kept of the clips it answers too (LetterRecord::also). Those of
    /// another person, or that are gone, are left alone.
    Result<std::int64_t> save(const LetterRecord& l);
    Result<std::vector<LetterRecord>> of(std::int64_t clip) const;
    /// That a letter went out, how ("none": the clip is done without one); "" takes it back to written. That it was answered, when and
    /// what; "" takes that back.
    Result<bool> set_sent(std::int64_t clip, const std::string& day, const std::string& how);
    Result<bool> set_answered(std::int64_t clip, const std::string& day, const std::string& words);
    /// Letters of a person (0: of all), newest first.
    Result<std::vector<LetterLine>> lines(std::int64_t person = 0) const;
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
    Result<std::int64_t> keep_sent(const SentLetter& l);
    Result<std::vector<SentLetter>> sent(std::int64_t person) const; // newest first, without the bytes
    Result<std::string> sent_file(std::int64_t id) const;

private:
    Result<std::int64_t> save_one(const LetterRecord& l);
    std::vector<std::int64_t> answered_with(std::int64_t clip) const; // that clip first
};

/// What was practised, by day.
class PracticeStore : public Store {
public:
    using Store::Store;
    Result<std::int64_t> keep(const PracticeLog& log); // a new one (id 0), or one as it is now. bad_value "effort", "minutes"
    Result<bool> drop(std::int64_t id);
    Result<std::vector<PracticeLog>> of(std::int64_t person, const std::string& from_day = "") const; // newest first
};

/// Quiet tests of people.
class QuietTestStore : public Store {
public:
    using Store::Store;
    /// A new one (id 0), or one as it is now (also one that was taken out, under its id). bad_value "day", "figures".
    Result<std::int64_t> keep(const KeptTest& test);
    Result<bool> drop(std::int64_t id);
    /// By day. What cannot be read is left out and stays in the library.
    Result<std::vector<KeptTest>> of(std::int64_t person) const;
};

/// Classes and their lessons.
class ClassStore : public Store {
public:
    using Store::Store;
    Result<std::vector<ClassGroup>> all() const; // by name; members by id
    /// A new one (id 0), or one as it is now. bad_value "name", "minutes", "weekday", "at".
    Result<std::int64_t> keep(const ClassGroup& group);
    Result<bool> remove(std::int64_t id);                          // with its lessons
    Result<std::vector<Lesson>> lessons(std::int64_t group) const; // newest first
    /// The lesson of that day, a new one or as it is now. bad_value "day". not_found without such a class.
    Result<std::int64_t> keep_lesson(const Lesson& lesson);
    Result<bool> drop_lesson(std::int64_t id);
};

/// Courses of weeks of people (store/courses.h).
class CourseStore : public Store {
public:
    using Store::Store;
    /// A new one (id 0), or one as it is now (also one that was taken out, under its id). too_large; bad_value "course" where it is of
    /// nobody, or of a person and a class.
    Result<std::int64_t> keep(const KeptCourse& course);
    Result<bool> drop(std::int64_t id);
    Result<std::vector<KeptCourse>> of(std::int64_t person) const; // newest first
    Result<std::vector<KeptCourse>> of_class(std::int64_t group) const;

private:
    Result<std::vector<KeptCourse>> listed(const char* owner, std::int64_t id) const;
};

/// Who learns to see, and what they saw.
class SeeingStore : public Store {
public:
    using Store::Store;
    Result<std::vector<Assistant>> assistants() const; // by name
    /// A new one, or one with another name. bad_value "name" without one, or where another has it.
    Result<std::int64_t> keep(const Assistant& who);
    Result<bool> drop(std::int64_t assistant);               // with what they saw
    Result<std::int64_t> keep_round(const SeenRound& round); // bad_value "day"
    /// Newest first. What cannot be read is left out and stays in the library.
    Result<std::vector<SeenRound>> rounds(std::int64_t assistant) const;
};

/// Own movements, schools, templates of letters and plans (store/forms.h), and the clips that show a movement.
class FormStore : public Store {
public:
    using Store::Store;
    /// Own movements and schools (store/forms.h).
    Result<std::vector<OwnForm>> all(Own what = Own::movement) const;
    Result<bool> keep(const OwnForm& form, Own what = Own::movement);
    Result<bool> drop(const std::string& id, Own what = Own::movement);
    /// The clip that shows a movement beside students' clips; 0: none.
    Result<bool> set_model(const std::string& movement, std::int64_t clip);
    std::int64_t model_of(const std::string& movement) const;
};

/// The whole library as one file, and whether its films are as they came.
class BackupStore : public Store {
public:
    using Store::Store;
    /// The whole library as one file (a tar archive: the database, each film once, own recordings), and back into a folder that is empty or
    /// not there (bad_value "folder_not_empty"). Films are held against their sums. One that differs or cannot be read whole stops it,
    /// unreadable "damaged films: NAMES", unless they are to be left out.
    Result<BackedUp> write(const std::filesystem::path& file, const std::string& day, bool without_damaged = false,
                           const std::stop_token& stop = {}, const std::function<void(double)>& progress = {});
    /// Films against what they were when they came; nothing is changed. Cancelled between two of them.
    Result<BackedUp> check_films(const std::stop_token& stop = {}) const;
    /// Writes everything into the one file, for copying it away.
    Result<bool> compact();
};

/// Settings by key.
class SettingStore : public Store {
public:
    using Store::Store;
    /// A setting, empty when it was never made: "signed_by", "place".
    std::string get(const std::string& key) const;
    Result<bool> set(const std::string& key, const std::string& value);
};

} // namespace bevel
