// What becomes of clips that come in: listed, taken in, judged, the body found. By values; on the background threads.
#pragma once
#include "media/tracker.h"
#include "ui/review/review_state.h"

namespace bevel::ui {

struct Listed {
    std::vector<ClipRow> rows;
    std::vector<Person> people;
    std::int64_t all = 0; // clips there are
};
Result<Listed> list(const Library& library, const ClipQuery& query = {});

/// What became of a file that was offered: taken in, or there already.
struct Taken {
    std::int64_t clip = 0; // of the one taken in
    std::optional<Clip> same;
};
/// Nobody is asked: the body is found first, then what it tells stands there to be confirmed.
Result<Taken> take(Library& library, const std::filesystem::path& file, bool even_if_same, bool mirrored, const std::stop_token& stop,
                   const std::function<void(double)>& progress);

/// With the points that were found before, if there are any; else the clip waits for its turn again. The sentence to say.
Result<QString> judge(Library& library, const Session& session, const Person& person, Clip clip);

/// Cuts a clip into parts, each of which becomes a clip of its own with the file's points: judged where it is known whose it is and what it
/// shows, else asked about. Their ids.
struct CutPart {
    double from_s = 0, to_s = 0;
    std::string movement;
};
Result<std::vector<std::int64_t>> cut(Library& library, const Session& session, std::int64_t clip, const std::vector<CutPart>& parts);

/// A body looked for on every frame, and what that makes of the clip; the problem in words, or nothing.
struct FindOrder {
    Clip clip;
    Person person;
    std::optional<Movement> movement;
    TrackOptions options;
};
/// A clip whose body a person is going to set by hand: its times, size and room without any points, unless there are some already.
Result<bool> begin_by_hand(Library& library, const Session& session, std::int64_t clip, const std::stop_token& stop);
/// After that: judged, where it is known whose it is and what it shows; else asked about. The sentence to say.
Result<QString> look_again(Library& library, const Session& session, std::int64_t clip);
QString find_body(Library& library, const Session& session, FindOrder order, const std::stop_token& stop);

} // namespace bevel::ui
