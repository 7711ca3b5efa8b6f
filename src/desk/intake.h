// What becomes of clips that come in: listed, taken in, the body found, judged. By values; on any thread but the interface's.
#pragma once
#include "desk/forms.h"
#include "desk/found.h"
#include "media/tracker.h"

namespace bevel {

/// A clip as it is listed, with its person.
struct ClipRow {
    Clip clip;
    Person person;
};

struct Listed {
    std::vector<ClipRow> rows;
    std::vector<Person> people;
    std::int64_t all = 0; // clips there are
};
Result<Listed> list_clips(const Library& library, const ClipQuery& query = {});

/// What became of a file that was offered: taken in, or there already.
struct Taken {
    std::int64_t clip = 0; // of the one taken in
    std::optional<Clip> same;
};
/// Nobody is asked: the body is found first, then what it tells stands there to be confirmed.
Result<Taken> take_in(Library& library, const std::filesystem::path& file, bool even_if_same, bool mirrored, const std::stop_token& stop,
                      const std::function<void(double)>& progress);

/// What became of a clip that was looked at anew.
struct Looked {
    enum class What {
        waits,  // it has no points yet: its turn comes
        ready,  // judged, the review is there
        asked,  // it is to be said whose it is and what it shows
        refused // it cannot be judged; `why`
    } what = What::waits;
    Error why;
};

/// With the points that were found before, if there are any; else the clip waits for its turn again.
Result<Looked> judge_clip(Library& library, const Forms& forms, const Person& person, Clip clip);

/// Cuts a clip into parts, each of which becomes a clip of its own with the file's points: judged where it is known whose it is and what it
/// shows, else asked about. Their ids.
struct CutPart {
    double from_s = 0, to_s = 0;
    std::string movement;
    std::int64_t person = 0; // 0: whose the clip is
};
/// People by their names, one a line: whole ("Noor Haddad") or the first of them ("Noor"), in whatever case. 0 where nobody is called so,
/// or more than one. Empty lines are passed over.
std::vector<std::int64_t> people_named(const std::vector<Person>& people, const std::string& lines);
Result<std::vector<std::int64_t>> cut_into(Library& library, const Forms& forms, std::int64_t clip, const std::vector<CutPart>& parts);

/// A clip whose body a person is going to set by hand: its times, size and room without any points, unless there are some already.
Result<bool> begin_by_hand(Library& library, const Forms& forms, std::int64_t clip, const std::stop_token& stop);
/// After that: judged, where it is known whose it is and what it shows; else asked about.
Result<Looked> look_again(Library& library, const Forms& forms, std::int64_t clip);

/// A body looked for on every frame, and what that makes of the clip; the problem, or nothing. `forms`: asked for when the body was found,
/// as they are then.
struct FindOrder {
    Clip clip;
    Person person;
    std::optional<Movement> movement;
    TrackOptions options;
};
std::optional<Error> find_body(Library& library, const std::function<Forms()>& forms, FindOrder order, const std::stop_token& stop);

} // namespace bevel
