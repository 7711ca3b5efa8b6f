// A movement learned from clips that show it as it is meant: key postures told from what was filmed, bands from how it was repeated. What
// comes out is a movement file like any other, so that everything that knows movements knows this one.
#pragma once
#include "core/judge/judge.h"
#include <span>

namespace bevel {

/// A clip that shows the movement. Neither may change while it is learned from.
struct Showing {
    std::string name; // for the reader
    const Motion* motion = nullptr;
    const Measures* measures = nullptr;
};

/// One phase of a repetition as a person laid it out.
struct LaidPhase {
    std::string name, role, stance; // role and stance of the domain, or empty
    std::string ends_at;            // event its end snaps to, as in a movement
    double end_s = 0;
};
/// One repetition laid out on a clip's time line.
struct Layout {
    std::size_t showing = 0; // index
    double from_s = 0;
    std::vector<LaidPhase> phases; // in order; the last one ends where the posture is as at the beginning
    Side lead = Side::left;
    bool alike = false; // both sides at once: there is no left and right repetition
    double to_s() const { return phases.empty() ? from_s : phases.back().end_s; }
};

/// The first stretch of a clip that leaves a posture and comes back to it. cannot_judge "no_repetition" when nothing does.
Result<std::pair<double, double>> propose_stretch(const Motion& motion);
/// Phases of a stretch from the clip's own events (feet, weight, hips, turns, hands), with roles and stances told from what happens in
/// them; which side leads, and whether the sides are alike. bad_value "stretch" when it is shorter than a second or not in the clip.
Result<Layout> propose_layout(const Motion& motion, const Measures& measures, double from_s, double to_s);
/// Phases of the repetition as the nearest movement has them: the one that is told best. cannot_judge "no_repetition" without a whole one.
Result<Layout> layout_like(const Movement& movement, const Alignment& alignment);
/// Role, stance and event of each phase from what happens in it; names follow the roles. For a border that was moved.
void tell_roles(const Motion& motion, const Measures& measures, Layout& layout);

/// What the new movement is called, and what was not filmed.
struct LearnOptions {
    std::string id, name, kind, about;
    std::vector<std::string> attention;
    const Movement* like = nullptr; // nearest movement: what the clips cannot show is taken from it
    std::string reason;             // why bands are as they are, for the reader
};

/// A band as the recordings set it.
struct LearnedBand {
    std::string check;
    double mean = 0, sd = 0; // over the repetitions shown
    int n = 0;
    std::optional<double> low, high; // in force now
    bool beyond = false;             // a safety rule: its band stays, though what was shown lies outside it
};
struct Learned {
    std::string text;             // of the movement's file
    Movement movement;            // read from it
    std::vector<int> repetitions; // whole ones found in each showing
    std::vector<LearnedBand> bands;
    double misfit_m = 0; // rms distance of the figure's joints from those shown, at the ends of phases, across the line of sight
};

/// Learns a movement: the figure's postures from the laid-out repetition, with it all repetitions of all showings, from these the postures,
/// times and spread. Bands: mean ± the larger of two SD and half the rule's own width; open ends and safety rules are never made wider than
/// the rule, except that an end follows what was shown beyond it where nobody can be hurt.
/// bad_value "layout" (fewer than two phases, out of order), "both_feet" (off the floor at the end of a phase), "home" (it does not end
/// where it began), "step" (a foot gets to another place with no border while it is in the air), "name", or what reading the movement
/// refuses; cannot_judge "no_repetition".
Result<Learned> learn(std::span<const Showing> showings, const Layout& layout, const LearnOptions& options);

} // namespace bevel
