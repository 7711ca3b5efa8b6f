// What makes figures of a review's evidence, check by check. Inside judging only; summarise() is its one user.
#pragma once
#include "core/judge/summary.h"
#include <array>
#include <map>

namespace bevel::summing {

struct Window {
    double from, to;
    std::size_t phase; // index in the movement
};

/// A phase looked at by itself leaves out so much at both ends: its borders are no surer than that.
inline constexpr double border_s = 0.15, border_share = 0.15;
inline constexpr double border_sigma_s = 0.2; // how surely the warp tells one
inline constexpr double least_phase_s = 0.2;

/// A moment that was found, with its 1-sigma.
struct Moment {
    double t, sigma;
};

/// One value on the way to a summary.
struct At {
    double v, own, clip, person, t;
};

class Summariser {
public:
    Summariser(const Motion& mo, const Measures& ms, const Alignment& al, const Movement& mv, const ReferenceModel& ref,
               const std::vector<SupportState>& states, const RuleBook& rules);
    Summaries run();

private:
    std::size_t frame(double t) const;
    std::vector<Window> windows(const std::vector<std::string>& phases, const Repetition& r) const;
    static std::optional<Side> side_for(const std::string& side, std::optional<Side> own, Side lead);
    /// Side of the body of which a measure is asked; of a sided one the check's own side unless it names another.
    static std::optional<Side> part_of(const std::string& measure, const std::string& side, std::optional<Side> own, Side lead);
    static const std::vector<Sample>* samples(const Measures& ms, const std::string& measure, const std::string& side,
                                              std::optional<Side> own, Side lead);
    static bool asks_for_lead(const Check& c, const Check& how);
    /// The values of a check in one repetition, put into `out`.
    void one(const Check& c, const Check& how, std::size_t r, CheckValues& out) const;
    /// What is told by moments: between two of them, of all that belong together, or on the way of a shift.
    void at_moments(const Check& c, const Check& how, const Repetition& rep, RepetitionValue& v,
                    std::optional<std::size_t> phase = std::nullopt) const;
    /// Why a check has nothing to say of a repetition, before it is looked at.
    std::optional<Absent> cannot(const Check& c, const Check& how, const Repetition& rep) const;
    static PhaseValues& phase_of(CheckValues& v, std::size_t phase);
    /// Values of the phases of a check in one repetition, with the reasons of those that are missing and whether its states held at all.
    struct Gathered {
        std::vector<At> in;
        std::map<Absent, int> missing;
        std::size_t frames = 0, held = 0, told = 0; // frames of the phases; on which the states held; on which they could be told
    };
    /// `only`: of one stretch in place of the check's phases.
    Gathered gather(const Check& c, const Check& how, std::size_t r, std::optional<Side> side, std::optional<Window> only = {}) const;
    static Absent most(const std::map<Absent, int>& missing, Absent fallback);
    static void keep_course(const std::vector<At>& in, RepetitionValue& v);
    static void errors(const std::vector<At>& in, RepetitionValue& v);
    /// All phases together, and each by itself.
    void over_phases(const Check& c, const Check& how, std::size_t r, RepetitionValue& v, CheckValues& out) const;
    /// What the reference itself shows in a phase, summed up as the check does; absent where it is not known for most of it.
    std::optional<double> asked(const Check& c, const Check& how, Side lead, std::optional<Side> side, std::size_t phase) const;
    /// The value of a course of values with so much noise. Its tails are drawn out by the noise: of the spread only the part that noise
    /// does not explain counts.
    static double summed(Summary how, const std::vector<double>& x, double noise);
    void over(const Check& c, const Check& how, std::size_t r, std::optional<Side> side, std::optional<Window> only,
              RepetitionValue& v) const;
    double ms_rate() const { return 1 / motion_.rate; }
    static constexpr double long_s = 10; // what is asked of so long a beginning is a hold, looked at in windows
    /// A long hold: how far the worst of its windows is from where it began. Everybody wanders while settling: the spread of the first
    /// windows goes into the error.
    void held_long(const std::vector<At>& in, double first_s, RepetitionValue& v, bool any) const;
    /// The largest way from the first part of a stretch in which the states hold to any later moment of it (half-second medians).
    void drift(const Check& c, std::size_t r, std::optional<Side> side, RepetitionValue& v) const;
    /// The transfer of weight that belongs to the phases, towards the side asked.
    const Shift* shift(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase = std::nullopt) const;
    /// Ids of the phases an event belongs to.
    std::vector<std::string> phases_of(const EventPick& e) const;
    /// The event in the phases it belongs to, or in that one of them.
    std::optional<Moment> moment(const EventPick& e, const Repetition& rep, std::optional<std::size_t> phase = std::nullopt) const;
    Absent no_shift() const { return ms_.find("weight.along_raw")->absent_throughout().value_or(Absent::no_event); }
    /// Whether all events of a check belong to one role, so that each phase of it has its own.
    static bool of_one_phase(const Check& how);
    void order(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const;
    /// Duration of the phases of the check against the reference's, in that of the whole repetition: 1 keeps pace with the rest.
    void pace(const Check& c, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const;
    /// How long a phase lasts; of a repetition that is cut its end may be beyond the clip's.
    static void length(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase);
    void count(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const;
    /// How long a measure stays near the top of what it reaches in a repetition.
    void pause(const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const;
    /// Time from where the movement begins a breath to where the student does; absent in phases that begin none.
    void breathed(const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase) const;
    void together(const Check& how, const Repetition& rep, RepetitionValue& v, std::optional<std::size_t> phase = std::nullopt) const;
    void at_event(const Check& c, const Check& how, const Repetition& rep, std::optional<Side> side, RepetitionValue& v) const;
    /// Variance of the time that these phases (all, without what rests) take together, by the errors of where they begin and end.
    double ends_variance(const Repetition& r, const std::vector<std::string>& phases) const;
    /// Variation of the durations of repetitions, or of the phases named, in percent.
    RepetitionValue spread(const Check& c) const;
    /// Where the first repetition of that side begins, or the first of all.
    double begins(Side side) const;
    /// Left repetitions against right ones: how many there are, or the range of a measure of the leading side, in percent of the larger.
    RepetitionValue same(const Check& how) const;
    /// Swings grow in, stay and die away: how far the deepest of them falls below a larger one on both sides, of the largest. How large a
    /// swing is is told by the movement's own driver.
    RepetitionValue ramp() const;
    const Motion& motion_;
    const Measures& ms_;
    const Alignment& al_;
    const Movement& mv_;
    const ReferenceModel& ref_;
    const std::vector<SupportState>& states_;
    const RuleBook& rules_;
    std::array<std::vector<const Event*>, static_cast<std::size_t>(EventKind::roll_end) + 1> of_kind_;
    std::vector<std::vector<double>> moment_; // of the reference, a frame each, by repetition
    std::vector<std::size_t> first_;
};

} // namespace bevel::summing
