// A small grey picture of the room behind the student, by which a place where the camera stood before is known again.
#pragma once
#include "core/body/points.h"
#include "core/sim/film.h"
#include <string>

namespace bevel {

/// 48 by 27 cells over the whole picture, mean luma 1 to 255; 0 where the body stands (its box and a fifth more). Empty for a picture that
/// is smaller.
std::string look_of(const sim::Image& picture, const std::optional<BodyPx>& body);
/// Correlation of what both show, -1 to 1; 0 where they share less than a third of the picture or one is of one grey.
double same_room(const std::string& a, const std::string& b);
/// Above that it is offered as the same place; a person decides. Not measured on real rooms.
inline constexpr double same_place = 0.85;

} // namespace bevel
