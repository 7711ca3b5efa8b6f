// Holds: stretches in which the body stays as it is, on both feet or on one; how long, how far it sways and whether it sinks.
#pragma once
#include "core/measure/measures.h"

namespace bevel {

/// A figure with its 1-sigma.
struct HeldFigure {
    double value = 0, sigma = 0;
};

struct Hold {
    double from_s = 0, to_s = 0, sigma_s = 0.1; // of the length
    std::optional<Side> leg;                    // standing on this one; none: on both
    bool supported = false;                     // a hand on a support or a seat for some of it
    int touches = 0;                            // on one leg: times the free foot touched the floor for a moment
    // Root mean square of the body centre about its mean, mm, with the noise of the points taken out; absent where the clip does not
    // show that axis.
    std::optional<HeldFigure> sideways, forward;
    std::optional<HeldFigure> sinks; // hip height of the last third against the first, of the standing height; down is positive
    double length_s() const { return to_s - from_s; }
};

/// Stretches of at least `least_s` in which hips and hands stay within what a body at rest does (6 cm/s, smoothed over half a second);
/// a free foot that touches for less than half a second does not end a hold on one leg. In order of time.
std::vector<Hold> find_holds(const Motion& motion, const Measures& measures, const std::vector<SupportState>& states = {},
                             double least_s = 2.0);

/// A window of a long hold: the median of a figure in it, and the error of that by the figure's own.
struct HoldWindow {
    double from_s = 0, to_s = 0, value = 0, sigma = 0;
};
inline constexpr double hold_window_s = 10;
/// Windows of a figure through a hold, one after the other; a last one of less than a third is left out. Times increase; all of one length.
std::vector<HoldWindow> hold_windows(const std::vector<double>& time_s, const std::vector<double>& value, const std::vector<double>& sigma);

} // namespace bevel
