// A take: a student filmed by a phone, as data. Shared by the simulate command, the demo and the tests.
#pragma once
#include "core/sim/film.h"

namespace bevel::sim {

struct TakeOptions {
    StudentOptions student;
    PhoneOptions phone;
    std::optional<std::uint64_t> looks; // seed of the looks; the student's seed when absent
    std::optional<Looks::Family> family;
    double from_s = 0, to_s = 1e9;                                 // stretch that is filmed
    double rate_jitter = 0, dropped = 0;                           // spread of the frames' spacing, share of frames that are missing
    bool vertical_known = true;                                    // the room shows its upright edges
    enum class Marks { none, pixels, metres } marks = Marks::none; // points of the back and of a tool, on every frame
    double roll_sigma = 0.002, slope_sigma = 1e-6;                 // 1-sigma of what the edges tell; the error is drawn from it
};

class Take {
public:
    Take(const Movement& movement, const TakeOptions& options);
    /// Of a performance that is laid out, as of a linked form. `only`: the repetitions (parts) that have the faults; none: all.
    Take(Score score, const TakeOptions& options, std::vector<int> only = {});
    const Student& student() const { return student_; }
    double start_s() const { return options_.from_s; } // where in the performance the clip begins
    const Truth& truth() const { return truth_; }
    /// Exact points in pixels (with the phone's shake) and metres, picture size and the camera's true vertical.
    const Track& track() const { return track_; }
    Image picture(std::size_t frame) const; // made on first use of the film
    std::size_t frames() const { return truth_.time_s.size(); }

private:
    TakeOptions options_;
    Student student_;
    Truth truth_;
    Track track_;
    mutable std::unique_ptr<Film> film_;
};

/// The phone as somebody puts it up who wants to see all of a performance that goes over the floor: as near as it may stand (no nearer
/// than `phone` stands), its picture's middle on the middle of the way. At the farthest a phone may stand where that is not enough.
PhoneOptions seeing_all(const Student& student, PhoneOptions phone);

/// bad_value naming the fault and the movement where it changes nothing of what a student with these options does: no point by a
/// centimetre, no moment by a tenth of a second; locked knees: none that comes to be straight.
Result<bool> shows(const Movement& movement, const StudentOptions& options, const FaultSpec& fault);

/// Seeds and options of a student of the given height whose proportions, tempo and looks follow from the seed.
TakeOptions take_of(std::uint64_t seed, double stature_m);

} // namespace bevel::sim
