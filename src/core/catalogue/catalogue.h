// The catalogue of measures (data/measures.json, built into the program): ids, words, units and gates. The one reader of that file.
#pragma once
#include "core/result.h"
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace bevel {

/// What the catalogue says of a measure.
struct MeasureInfo {
    std::string id, name, unit, family, definition, seen_from;
    bool sided = false, hidden = false;
    bool habit = false; // against the clip's own quiet stand: what is there all the time does not show, and is not praised
    // Gates, where the catalogue sets them.
    std::optional<double> turned_deg; // the axis it is told along may be turned so far out of the picture
    std::optional<double> most_sigma; // a larger error is "cannot be told from this view"
    std::optional<double> least_m;    // what must be that long to have a direction
    std::optional<double> share;      // of its length that a limb must show
    std::optional<double> toes_out_deg;
    bool needs_vertical = false, needs_neutral = false;
    std::string over_floor; // "sideways" or "forward": along the line of sight told from where the feet stand on the floor
};
/// A catalogue like data/measures.json; bad_value names measure and key. Unknown keys and families are refused.
Result<std::vector<MeasureInfo>> parse_measures(const std::string& text);
/// The catalogue built into the program, in the order of the file.
const std::vector<MeasureInfo>& measure_catalogue();
/// Nothing for an unknown id.
const MeasureInfo* measure_info(std::string_view id);

} // namespace bevel
