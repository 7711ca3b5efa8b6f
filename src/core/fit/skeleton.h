// What a body is to a fit: points that keep their distances, how long these are for a body of a height, and how freely points move.
#pragma once
#include "core/body/points.h"
#include <span>

namespace bevel::fit {

/// Two points that keep their distance. Both sides of the body share a length.
struct Bone {
    Point a, b;
    int length;    // which of lengths()
    double give_m; // 1-sigma by which the distance changes as the body moves: joints are no pins, and shoulder blades glide
};
/// A length as a share of the height, and how people differ from it (1-sigma, relative to the length).
/// Shares: Winter 2009 (Biomechanics and Motor Control), as in BodyDims; spreads about them: 3 to 5 % for long bones, about twice that for
/// breadths and what is small (Gordon et al. 2014, ANSUR II, coefficients of variation of lengths with that of the height taken out).
struct Length {
    double share, spread;
};
std::span<const Bone> bones();
std::span<const Length> lengths();

/// Distances of middles: the trunk, and the neck to between the ears.
struct Span {
    Point a, b; // left points of both pairs
    int length;
    double give_m;
};
std::span<const Span> spans();

/// How a point's speed changes in slow practice, 1-sigma, m/s^2.
double usual_acceleration(Point p);

} // namespace bevel::fit
