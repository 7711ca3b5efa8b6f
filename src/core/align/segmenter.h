// The clip as repetitions of the units of a form and standing by, at the least cost. Inside of core/align.
#pragma once
#include "core/align/courses.h"

namespace bevel::aligning {

/// One way of going through an entry of the form: led by one side, or by either where both look alike.
struct Unit {
    std::size_t entry = 0;
    std::optional<Side> side;
    const ReferenceModel* model = nullptr;
    Features courses;
    Series times;         // of the rows: at the coarse rate, without what is held still
    Eigen::MatrixXd rows; // in standard deviations
    std::vector<Still> stills;
    std::vector<bool> rests; // rows of a hold or an asked pause: stayed in for any length
    double joined_s = 0;     // where it begins without its join, s of the reference; 0: nowhere but at the beginning
    std::size_t joined = 0;  // row of that
    Side reference_side() const { return side.value_or(Side::left); }
    const ReferenceModel::Course& course() const { return model->of(reference_side()); }
};

struct Chosen {
    std::size_t unit = 0;
    int start = 0, end = 0;                 // rows of the student, both inside
    int from = 0, to = 0;                   // rows of the reference it begins and ends with
    std::vector<std::pair<int, int>> stays; // rows of the student, both inside, that were stayed in a hold, in order
};

/// What it costs to leave the order of a form, in what unlike moments cost: of an entry left out, of one that comes before its turn, of the
/// same once more without a pause; of a part that begins without its join; of leaving the reference's own pace, a moment.
struct Prices {
    double skipped = 15, swapped = 40, again = 20, uneven = 0.03, other_join = 2;
};
/// Of movements that are told apart within a clip, and of the parts of one form: there something else is easily taken for a part that was
/// left out, done in a hurry.
inline constexpr Prices of_movements{}, of_parts{3, 6, 4, 0.06, 2};
/// Where nothing is expected, nothing comes before its turn.
inline constexpr Prices in_any_order{0, 0, 0, 0.03, 2};

/// What standing by costs a moment beside being unlike the postures that are stood by in, where nobody moves.
inline constexpr double standing_price = 0.05;

/// Explains every moment of the clip (rows of `student`) either as a moment of a repetition of a unit or as standing by in one of the
/// postures of `still`; `cost` becomes that of the whole clip. `standing`: its price at each
/// moment, where that is not the same throughout.
std::vector<Chosen> explained(const std::vector<Unit>& units, const Eigen::MatrixXd& student, const Eigen::MatrixXd& still, double& cost,
                              const Prices& prices = of_movements, const Series& standing = {});

} // namespace bevel::aligning
