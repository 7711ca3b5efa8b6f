// A virtual student: a body of its own proportions and masses that performs a movement with its own tempo, sway and faults.
#pragma once
#include "core/movement/score.h"
#include "core/movement/solver.h"
#include "core/rng.h"
#include <cstdint>

namespace bevel::sim {

/// Named faults; the unit of the size is given. One side may be named, else the leading side of each repetition (both where it has none).
enum class Fault {
    stance_narrow,      // SW
    stance_wide,        // SW
    knee_in,            // deg of frontal-plane projection
    knee_past_toe,      // cm
    knee_locked,        // deg taken from the least knee bend
    early_weight,       // s
    shift_incomplete,   // share of weight
    lean_forward,       // deg
    lean_side,          // deg, to the named side (left when none)
    head_forward,       // cm
    turn_gap,           // deg
    hurried_shift,      // share of the time left out, 0..0.8
    halting_shift,      // s of stop in the middle
    hips_turn_foot_off, // deg
};
std::string_view fault_name(Fault f);
std::optional<Fault> fault_from_name(std::string_view name);
std::string_view fault_unit(Fault f);

struct FaultSpec {
    Fault fault;
    double size = 0;
    std::optional<Side> side;
};
/// "knee_in.left=12" -> spec; bad_value names what is wrong.
Result<FaultSpec> parse_fault(const std::string& text);

struct StudentOptions {
    double stature_m = 1.70;
    std::optional<BodyDims> dims;    // of a body that was measured: nothing of it is drawn from the seed then
    double proportion_spread = 0.03; // relative SD of segment lengths
    double tempo = 1.0;              // > 1 is slower
    double tempo_spread = 0.04;      // relative SD between phases
    double size_spread = 0.03;       // relative SD of hand paths between repetitions
    double sway = 1.0;               // 1: ordinary
    // Bodies outside the table of proportions: factors of leg length, hip width and neck; spread of the segments' masses.
    double legs = 1, hips = 1, neck = 1, mass_spread = 0.04;
    // How this person stands and moves at all times: least knee bend (deg, below 0 past straight), lean (deg), head forward (m), toes out
    // (deg).
    std::optional<double> stand_knee;
    double stand_lean = 0, stand_head = 0, toe_out = 0;
    double turn_deg = 0; // turns by so much on the spot between the first and the second half of the repetitions
    std::vector<FaultSpec> faults;
    ScoreOptions score;
    std::uint64_t seed = 1;
};

struct SegmentMass {
    double mass; // share of the body
    Vec3 at;
};

class Student {
public:
    Student(const Movement& movement, const StudentOptions& options);
    /// Performs a linked form, or anything else that is laid out: `options.score` says nothing then.
    Student(Score score, const StudentOptions& options);
    double duration() const { return static_cast<double>(clock_.size() - 1) * clock_step; }
    Pose pose(double t) const;
    /// Masses of this student's own body, spread over more segments than the measures know (trunk in three parts).
    std::vector<SegmentMass> masses(const Pose& pose) const;
    const BodyDims& dims() const { return solver_.dims(); }
    const Score& score() const { return score_; }
    const Solver& solver() const { return solver_; }
    /// Score time at time t, and the time at which the score reaches s.
    double score_time(double t) const;
    /// The way the student faces, rad to own left from the start; in a linked form between the frames of its parts as the pelvis turns.
    double facing(double t) const;
    double time_of(double score_time) const;

    /// Only the faults of these repetitions (of a linked form, parts); none: all of them.
    void only_in(std::vector<int> repetitions) { only_ = std::move(repetitions); }

private:
    Posture seat_at(double t) const;
    static constexpr double clock_step = 1.0 / 240.0;
    void run_clock(const StudentOptions& o, Rng& rng);
    Channels faulty(double t) const;
    void apply_fault(const FaultSpec& f, double s, Channels& c) const;
    /// 1 inside the marked stretches (index by score key), easing over 0.35 s outside them.
    double envelope(const std::vector<bool>& stretches, double s) const;
    /// How far a shift has gone: grows to 1 (to the left foot) or -1 over the shift, stays while the weight does, and goes back over the
    /// next stretch.
    double shifted(double s) const;
    std::vector<Side> sides_of(const FaultSpec& f, double s) const;

    Score score_;
    Solver solver_;
    StudentOptions options_;
    std::vector<double> clock_; // score time at every clock step
    std::vector<bool> in_repetition_, shifting_, after_shift_, foot_off_, turning_, deep_, high_;
    std::vector<double> repetition_size_;
    std::vector<int> only_;
    double turn_from_ = 0, turn_to_ = 0; // s, when the student turns
    std::array<double, 48> sway_phase_{};
    std::array<double, 5> mass_noise_{};
};

/// Exact record of a performance, computed from the body's segments and geometry.
struct Truth {
    std::vector<double> time_s;
    std::vector<Body3> points;
    std::vector<std::string> phase;  // phase id or ""
    std::vector<double> weight_left; // moments of the segments with their acceleration; clamped
    std::vector<double> weight_raw;  // unclamped
    std::vector<double> facing;      // rad to own left from the start
    std::vector<Vec3> centre;        // body centre of the student's own segments
    std::vector<std::array<Contact, 2>> contact;
    struct Span {
        std::string id;
        int repetition;
        Side side;
        double start_s, end_s;
    };
    std::vector<Span> phases;
};
Truth make_truth(const Student& student, const std::vector<double>& times);

/// Contact of a foot told from the height of heel and toe over the floor alone, metres.
Contact contact_from_heights(double heel_m, double toe_m);

} // namespace bevel::sim
