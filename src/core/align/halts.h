// Where nothing moves though the figure would. Inside of core/align.
#pragma once
#include "core/align/segmenter.h"

namespace bevel::aligning {

/// How fast all parts of the body move, in the clip and in each unit, worked out once.
class Halts {
public:
    Halts(const Motion& motion, const Axes& axes, const std::vector<Unit>& units);
    /// Whether nobody does more than sway in the whole clip.
    bool only_sways() const { return only_sways_; }
    /// Halts of a repetition of a unit; `of_clip`: where the clip is still. In order of time.
    std::vector<Stop> in(const Repetition& r, const Unit& u, const std::vector<Still>& of_clip) const;

private:
    struct Figure {
        const ReferenceModel* model;
        Side side;
        Series speed; // at the fine rate from the beginning of its course
    };
    std::vector<Figure> figures_;
    Series time_s_, speed_; // of the clip, at the fine rate, freed of its own noise
    bool only_sways_ = false;
};

} // namespace bevel::aligning
