// A finding's figure on the line of its measure: what is asked, what was seen with its error, and each repetition.
#pragma once
#include "core/review/review.h"
#include "ui/paint/theme.h"
#include "ui/text/text.h"

namespace bevel::ui {

/// Ends of the line, in the measure's unit: what is asked, the figure with twice its error and every repetition lie between them.
struct BandSpan {
    double low = 0, high = 1;
    /// The share of the line at which a value stands, 0 to 1.
    double at(double value) const { return (value - low) / (high - low); }
};
BandSpan band_span(const Finding& f);

/// Draws it in `r`, 90 pixels high or more. Repetitions are dots, in the colour of the side that leads them.
void draw_band(QPainter& p, const QRectF& r, const Finding& f, const Review& review, const Theme& theme, const Units& units);

} // namespace bevel::ui
