// A breath trace from a belt or another program: lines of time and extension, or of time and "in"/"out".
#pragma once
#include "core/body/points.h"
#include "core/result.h"

namespace bevel {

/// Where breaths begin. Text of at most 4 MB: a number (s) and, after a comma, semicolon, tab or blanks, a value or in/out; one head line
/// may stand first. In turns low points (a breath in begins) and high points (out begins) that stand out from the trace by a fifth of its
/// usual height. bad_value naming the line; cannot_judge "no_breath" when nothing rises and falls. `shift_s` is added to all times.
Result<std::vector<BreathMark>> breath_trace(const std::string& text, double shift_s = 0);

} // namespace bevel
