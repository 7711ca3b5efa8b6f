// A movement laid out in time: the sequence of repetitions with its phases, and the channels at any moment.
#pragma once
#include "core/movement/movement.h"

namespace bevel {

/// One stretch of the score: reached posture and what it belongs to. Time runs in score seconds.
struct ScoreKey {
    double time = 0;
    Posture posture;
    int phase = -1;      // index in the movement, of the stretch that ends here; -1 outside the repetitions
    int repetition = -1; // counted over both sides
    Side side = Side::left;
    Ease ease = Ease::flow;
    FloorFrame frame{}; // of the stretch that ends here; its posture is told in it
};

struct ScoreOptions {
    int repetitions = 2;    // a side
    bool alternate = true;  // left, right, left, right; else one side after the other
    bool both_sides = true; // else left only
    double quiet_before_s = 1.5, quiet_after_s = 1.0, approach_s = 1.5;
};

class Score {
public:
    /// Of a movement that has its course, that course; the options say nothing then.
    Score(const Movement& movement, const ScoreOptions& options);
    /// Keys that were laid out already, as of a linked form. `whole`: its phases are those that the keys count.
    Score(Movement whole, std::vector<ScoreKey> keys);
    double duration() const { return keys_.back().time; }
    const std::vector<ScoreKey>& keys() const { return keys_; }
    const Movement& movement() const { return movement_; }
    /// Stretch (index of its end key, at least 1) that holds time t.
    std::size_t stretch_at(double t) const;
    Channels at(double t) const;
    /// Where the stretch at a time lies on the floor; the channels are told in it.
    const FloorFrame& frame_at(double t) const { return keys_[stretch_at(t)].frame; }
    /// Weight alone, as `at` gives it.
    double weight_left(double t) const;

private:
    void build_channels();
    double channel(std::size_t which, std::size_t stretch, double u) const;
    Channels::Foot foot_at(std::size_t stretch, double u, Side side) const;

    Movement movement_;
    std::vector<ScoreKey> keys_;
    std::vector<Posture> from_;                        // the posture that a stretch begins with, in its own frame
    std::vector<std::vector<double>> values_, slopes_; // per channel, per key; turns as seen from the start
};

} // namespace bevel
