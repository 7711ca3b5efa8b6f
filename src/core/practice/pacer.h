// A plan laid out in time: what is done when, which breath it is, what is sounded and said; and the run through it.
#pragma once
#include "core/practice/plan.h"

namespace bevel {

enum class Tone { none, begin, in, out, count, halfway, last_ten, side, end };

/// Something that is sounded or said at one moment. `code` is worded by the interface: "movement", "side", "count", "halfway", "last_ten",
/// "set_up" (of: what comes next, as otherwise_text, said while one settles), "attention", "image", "caution", "hold", "breaths", "support"
/// (of: step of the balance ladder), "out_by", "sit_if_dizzy", "settle", "end", "part", "was_part" (of: name of a part of a form, before it
/// and, from memory, after it).
struct Call {
    double at_s = 0;
    Tone tone = Tone::none;
    std::string code, of; // of: movement id, side, number, text
    bool safety = false;  // may be said over an out-breath, as counts may
};

struct Stretch {
    enum class Kind { change, settle, stand, repeat, hold, breaths } kind = Kind::change;
    double from_s = 0, to_s = 0;
    std::size_t item = 0;
    std::string movement;       // whose figure is shown; of a sequence the one under way
    std::optional<Side> side;   // of a repeat
    int number = 0, of = 0;     // this repeat or hold of how many, on its side
    double in_s = 0, out_s = 0; // the pacer's own breath, where the movement has none
    bool last_of_side = false;
};

struct Timeline {
    std::vector<Stretch> stretches; // without gaps, in order
    std::vector<Call> calls;        // in order
    double length_s = 0;
};

struct PacerOptions {
    double in_s = 3.5, out_s = 3.5;   // the student's own breath, from which it begins
    double in_to_s = 0, out_to_s = 0; // what it is lengthened to by the end, where asked; 0: it is not
    double slower_to = 1;             // length of the last repeats of an exercise against the first
    std::string out_by;               // "nose", "lips"; empty: as it comes
    bool breath_tones = true, counts = true;
    bool wait_for_tap = false; // at the end of each repeat
    bool attention = true;     // one point of attention or image an exercise
};
inline constexpr double breath_ratio_most = 1.5;

/// The pacer's own breath at a share 0–1 of the session: out-breath from as long as the in-breath to half as long again.
std::pair<double, double> breath_at(const PacerOptions& o, double share);

Timeline timeline_of(const Plan& plan, const std::vector<Movement>& movements, const PacerOptions& options);

/// What is shown at a time.
struct Moment {
    std::size_t stretch = 0;
    double movement_s = 0; // in the movement's own time, for the figure; of the right side as of the left
    std::string phase;     // id
    Breath breath = Breath::free;
    double fullness = 0;  // 0 empty to 1 full, of the breath shown
    bool one_leg = false; // a foot is off the floor
    double left_s = 0;    // of this stretch
    double item_left_s = 0;
    std::optional<std::size_t> next_item; // the next exercise
};
Moment moment_at(const Timeline& t, const Plan& plan, const std::vector<Movement>& movements, double at_s);

/// A run through a plan. Time comes from whoever has the clock (the sound's own, the system's, a test's): the run only counts it.
class Pacer {
public:
    Pacer(Plan plan, const std::vector<Movement>& movements, PacerOptions options);

    const Plan& plan() const { return plan_; }
    const Timeline& timeline() const { return timeline_; }
    const PacerOptions& options() const { return options_; }
    double at_s() const { return at_s_; }
    bool running() const { return running_; }
    bool waits() const { return waits_; } // for a tap, at the end of a repeat
    bool ended() const { return at_s_ >= timeline_.length_s; }
    Moment now() const { return moment_at(timeline_, plan_, movements_, at_s_); }
    /// Cues that came due since the last call, in order.
    std::vector<Call> take_due();

    void start() { running_ = !ended(); }
    void pause() { running_ = false; }
    /// `seconds` passed. While it rests or waits nothing moves.
    void advance(double seconds);
    void tap();                  // goes on where it waits; starts and stops otherwise
    void back();                 // to the beginning of this exercise; from its first seconds to the one before
    void skip();                 // to the next exercise
    void longer();               // one more repeat on each side, one more hold, half a minute more of standing
    void once_more_other_side(); // one more on the side that is not under way; the repeats are counted as they are done
    /// How far behind the plan the end will be when `elapsed_s` of real time have passed since the start; negative: ahead.
    double behind_s(double elapsed_s) const;
    /// Exercises yet to come that would bring it back, least needed first.
    std::vector<std::size_t> could_drop(double elapsed_s) const;
    void drop(const std::vector<std::size_t>& items);

    /// What was done so far: repeats a side, seconds.
    struct Done {
        std::string movement;
        int left = 0, right = 0, times = 0;
        double seconds = 0;
    };
    std::vector<Done> done() const;
    double done_s() const { return done_s_; }

private:
    void lay_out(); // again, with the place kept
    void go_to(double at_s);
    std::size_t item_now() const;
    double begin_of(std::size_t item) const;

    Plan plan_;
    std::vector<Movement> movements_;
    PacerOptions options_;
    Timeline timeline_;
    double at_s_ = 0, told_s_ = -1, done_s_ = 0;
    bool running_ = false, waits_ = false;
    std::map<std::string, Done> counted_;
    std::vector<std::string> order_;
};

} // namespace bevel
