// The library: people, clips, tracks, decisions and letters in one SQLite file in the user's data folder, clips beside it.
// Its subjects are in stores.h, what they keep in records.h.
#pragma once
#include "store/stores.h"
#include <memory>

namespace bevel {

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
    /// Back from one file (BackupStore::write) into a folder that is empty or not there (bad_value "folder_not_empty"). Films are held
    /// against their sums. One that differs stops it, unreadable "damaged films: NAMES", unless they are to be left out.
    static Result<BackedUp> restore(const std::filesystem::path& file, const std::filesystem::path& folder, bool without_damaged = false,
                                    const std::stop_token& stop = {});
    static int schema_version();
    Library(Library&&) noexcept;
    Library& operator=(Library&&) noexcept;
    ~Library();

    const std::filesystem::path& folder() const;
    bool read_only() const;
    /// Rows that point to something that is not there. They stay as they are.
    int dangling() const;
    /// Runs `work` in one transaction: all of its writes or none.
    Result<bool> together(const std::function<Result<bool>()>& work);
    /// Where copies for other programs lie while they are needed; emptied at the start and when somebody is erased.
    std::filesystem::path mail_folder() const;

    PeopleStore people() { return PeopleStore(*connection_); }
    RecordStore records() { return RecordStore(*connection_); }
    ClipStore clips() { return ClipStore(*connection_); }
    TrackStore tracks() { return TrackStore(*connection_); }
    PlaceStore places() { return PlaceStore(*connection_); }
    DecisionStore decisions() { return DecisionStore(*connection_); }
    LetterStore letters() { return LetterStore(*connection_); }
    PracticeStore practice() { return PracticeStore(*connection_); }
    CourseStore courses() { return CourseStore(*connection_); }
    SeeingStore seeing() { return SeeingStore(*connection_); }
    ClassStore classes() { return ClassStore(*connection_); }
    QuietTestStore quiet_tests() { return QuietTestStore(*connection_); }
    FormStore forms() { return FormStore(*connection_); }
    BackupStore backups() { return BackupStore(*connection_); }
    SettingStore settings() { return SettingStore(*connection_); }

    // To read from.
    const PeopleStore people() const { return PeopleStore(*connection_); }
    const RecordStore records() const { return RecordStore(*connection_); }
    const ClipStore clips() const { return ClipStore(*connection_); }
    const TrackStore tracks() const { return TrackStore(*connection_); }
    const PlaceStore places() const { return PlaceStore(*connection_); }
    const DecisionStore decisions() const { return DecisionStore(*connection_); }
    const LetterStore letters() const { return LetterStore(*connection_); }
    const PracticeStore practice() const { return PracticeStore(*connection_); }
    const CourseStore courses() const { return CourseStore(*connection_); }
    const SeeingStore seeing() const { return SeeingStore(*connection_); }
    const ClassStore classes() const { return ClassStore(*connection_); }
    const QuietTestStore quiet_tests() const { return QuietTestStore(*connection_); }
    const FormStore forms() const { return FormStore(*connection_); }
    const BackupStore backups() const { return BackupStore(*connection_); }
    const SettingStore settings() const { return SettingStore(*connection_); }

private:
    explicit Library(std::unique_ptr<Connection> connection);
    std::unique_ptr<Connection> connection_;
};

} // namespace bevel
