// The weight tide, lanes of measures in time and the floor plan. Painted from (data, painter, rect), shared by screen, letter and tests.
#pragma once
#include "core/review/review.h"
#include "ui/paint/theme.h"
#include "ui/text/text.h"

namespace bevel::ui {

/// Turns clip time into a share of the width and back: by the clock, or by the movement (each phase as wide as in the reference).
class TimeMapper {
public:
    TimeMapper() = default;
    static TimeMapper clock(double from_s, double to_s);
    /// Stretches outside the repetitions keep the clock's scale.
    static TimeMapper movement(const Review& review);
    /// The same, with only the stretch from `from_s` to `to_s` in the width.
    TimeMapper zoomed(double from_s, double to_s) const;
    double share(double t) const;
    double time(double share) const;
    double x(double t, const QRectF& r) const { return r.left() + share(t) * r.width(); }

private:
    std::vector<double> time_{0, 1}, share_{0, 1};
};

/// Times of the reference that belong to each frame of the clip; NaN outside the repetitions.
std::vector<double> reference_times(const Review& review);

/// The band of a check as it applies to a measure in one repetition, in that measure's own terms; nothing when it does not apply. The share
/// on the leading foot is the share on the left foot of left repetitions and what is left of it in right ones.
struct Band {
    std::optional<double> low, high;
    bool relative = false; // against the reference at the same moment
};
/// Nothing where the check is not about the measure itself from moment to moment.
std::optional<Band> band_of(const Check& check, const Repetition& repetition, const MeasureSeries& series);

struct Lane {
    QString title, unit;
    Units units;
    const MeasureSeries* series = nullptr;    // student
    const MeasureSeries* reference = nullptr; // same measure of the reference figure
    std::optional<Side> side;
    std::vector<const Check*> checks; // whose bands are drawn in their phases, where band_of gives one
};

/// A lane: band, reference as a thin second line, the student's course with its 1-sigma veil; hatched where it cannot be told.
/// Values drawn as one min/max per pixel column.
void draw_lane(QPainter& p, const QRectF& rect, const Lane& lane, const Review& review, const std::vector<double>& reference_s,
               const TimeMapper& map, const Theme& theme);

/// The tide: boundary of the share on the left foot, reference boundary as a thin line, rails of both feet above and below.
void draw_tide(QPainter& p, const QRectF& rect, const Review& review, const std::vector<double>& reference_s, const TimeMapper& map,
               const Theme& theme);

/// How long each phase took against the reference, both as parts of their repetition: bars up are slower, down quicker. And the
/// duration of each repetition.
void draw_tempo(QPainter& p, const QRectF& rect, const Review& review, const TimeMapper& map, const Theme& theme);

/// Names of repetitions and phases along the top of the time area, and below them where somebody stood still.
void draw_ruler(QPainter& p, const QRectF& rect, const Review& review, const TimeMapper& map, const Theme& theme);

/// Feet from above with outline of the base and body centre; only what the view can tell (one axis from one camera).
void draw_floor_plan(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, const Theme& theme);

} // namespace bevel::ui
