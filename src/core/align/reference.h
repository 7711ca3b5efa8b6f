// What a student is held against. ReferenceModel: the course of posture and measures through a repetition; aligning and judging know only
// this. Reference: the model made from a movement's description (written, or learned from clips), with the figure that performs it.
#pragma once
#include "core/measure/measures.h"
#include "core/movement/score.h"
#include "core/movement/solver.h"
#include <functional>
#include <span>

namespace bevel {

/// One measure through a repetition, at the points of a ReferenceModel; NaN where nothing is known.
using Curve = std::vector<float>;

struct ReferenceModel {
    static constexpr std::size_t points_a_phase = 50; // evenly through each phase, at the middles of fiftieths
    struct Phase {
        std::string id, role, ends_at; // ends_at: as in a movement
        bool settles = false;          // everything comes to rest at its end
        bool rests = false;            // a pause belongs in it
    };
    /// A repetition led by one side.
    struct Course {
        std::vector<double> borders;   // s of the reference's own time, one more than phases
        std::vector<double> time_s;    // of the points
        std::vector<Body3> posture;    // at the points; own axes, m
        std::vector<double> seen_from; // at the points: from facing to a camera that stands still, rad to own left; empty: as the clip is
        std::map<std::string, Curve> curves; // keyed as Measures::series
        double from() const { return borders.front(); }
        double to() const { return borders.back(); }
    };
    std::string movement;    // id
    std::vector<View> views; // from where it may be compared
    std::vector<Phase> phases;
    std::array<Course, 2> course; // left, right; not empty, both may be alike
    Body3 quiet{};                // standing by before the first repetition
    double stature = 0, hip_height = 0;
    bool symmetric = false; // left and right repetitions are the same posture for posture: no side leads

    const Course& of(Side side) const { return course[static_cast<std::size_t>(side)]; }
    /// Mean of a measure at a time of the reference within a repetition of the side; absent where it is not known.
    std::optional<double> value(const std::string& id, std::optional<Side> of_part, Side lead, double t) const;
};

/// The course of a performance between these borders of phases.
ReferenceModel::Course course_of(const Motion& motion, const Measures& measures, std::vector<double> borders);
/// What aligning asks of a movement's phases.
std::vector<ReferenceModel::Phase> phases_of(const Movement& movement);

class Reference {
public:
    Reference(const Movement& movement, double stature_m);
    /// Of a course that is laid out, as of a linked form, which goes once through all of its phases whoever leads; the way faced is that of
    /// its frames, from one to the next in the course of the phases that are joins (`joins`: of a phase, its index in the score's
    /// movement).
    Reference(Score course, double stature_m, const std::function<bool(int)>& joins);
    virtual ~Reference() = default;
    const ReferenceModel& model() const { return model_; }
    const Movement& movement() const { return score_.movement(); }
    const Motion& motion() const { return motion_; }
    const Measures& measures() const { return measures_; }
    Pose pose(double t) const { return placed(solver_.solve(score_.at(t)), score_.frame_at(t), solver_.dims().shoulder_width); }
    const Score& score() const { return score_; }
    const Solver& solver() const { return solver_; }
    double rate() const { return motion_.rate; }

    /// Times of one repetition of a side: borders of its phases, first start to last end (phases + 1 values).
    const std::vector<double>& borders(Side side) const { return model_.of(side).borders; }

private:
    void perform(double stature_m);  // the motion of the course
    void describe(double stature_m); // what the model has of the movement
    Score score_;
    Solver solver_;
    Motion motion_;
    Measures measures_;
    ReferenceModel model_;
};

} // namespace bevel
