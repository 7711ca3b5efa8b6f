// The reference held against the student in one picture: its lines laid over the body, on the same planted foot, and for a fault what is
// and where the reference is at that moment.
#pragma once
#include "core/body/points.h"
#include "ui/paint/theme.h"
#include <functional>
#include <vector>

namespace bevel::ui {

/// How the reference's picture is put so that it stands where the student stands: as large as the student is in the picture, the ankle of
/// `planted` on the student's.
struct Placement {
    double scale = 1;
    QPointF shift;
    QPointF operator()(double x, double y) const { return QPointF(x, y) * scale + shift; }
};
Placement placement_of(const BodyPx& reference, const BodyPx& student, Side planted);
/// The reference's points so placed.
BodyPx laid_over(const BodyPx& reference, const BodyPx& student, Side planted);

/// A broken outline of the body in pale ink.
void draw_laid_over(QPainter& p, const BodyPx& body, const std::function<QPointF(double, double)>& to, const Theme& theme, double line);

/// Lines of a measure (MeasureInfo::line) in a picture: what is, and the reference's beside it, in the picture's pixels. Both have the same
/// number of points; both are empty where nothing is drawn for it.
struct Compared {
    std::vector<QPointF> is, meant;
    bool empty() const { return is.empty(); }
};
/// `reference`: as laid_over() gives it.
Compared compare(const BodyPx& student, const BodyPx& reference, const std::string& line, Side side);
/// What is as a full line, what is meant as a broken one, with an arrow from the one to the other where they are apart.
void draw_compared(QPainter& p, const Compared& c, const std::function<QPointF(double, double)>& to, const Theme& theme, double line);

} // namespace bevel::ui
