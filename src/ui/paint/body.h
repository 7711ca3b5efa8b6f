// The body and its measured geometry over a picture, and the reference figure at the same moment.
#pragma once
#include "core/review/review.h"
#include "core/sim/film.h"
#include "core/sim/student.h"
#include "ui/paint/theme.h"
#include <functional>
#include <memory>
#include <QImage>

namespace bevel::ui {

QImage to_image(const sim::Image& im);

/// A student of 1.7 m who does a movement once on each side, without any spread of their own; with a fault when one is given.
std::shared_ptr<const sim::Student> figure_of(const Movement& movement, const std::optional<sim::FaultSpec>& fault);

/// The same of a whole that is laid out, as of a linked form.
std::shared_ptr<const sim::Student> figure_of(const Score& score, const std::optional<sim::FaultSpec>& fault);

/// The pose of a student as a camera sees it. Where it follows, it goes along with the hips over the floor, but not with every shift of
/// weight from foot to foot.
Pose pose_seen(const sim::Student& student, double time_s, bool follow);

/// The figure as Bevel draws it on paper: from so many degrees to its own left, whole with raised arms.
sim::PhoneOptions paper_phone(int width, int height, double azimuth_deg);

/// How many times as far as usual the camera must stand so that all that the figure does stays in its picture: more than 1 for who steps
/// towards it, less for who stays upright on the spot, `nearest_camera` at least.
double camera_back(const sim::Student& student, const sim::PhoneOptions& phone, bool follow);
inline constexpr double nearest_camera = 0.75;

/// Part of a picture that is shown, in its pixels.
QRectF crop_of(const Track& track, double aspect);

/// Body lines of a frame and, thick, what belongs to `family`. `to` maps picture pixels to the painter. Unsure points give thin broken
/// lines.
void draw_body(QPainter& p, const BodyPx& body, std::optional<Family> family, const std::function<QPointF(double, double)>& to,
               const Theme& theme, double line, double roll = 0);

/// Draws the reference figure as the clip's camera would see it.
class ReferencePainter {
public:
    ReferencePainter(std::shared_ptr<const Review> review, int width, int height);
    struct Shot {
        QImage picture;
        BodyPx points;
    };
    Shot at(double reference_s) const;
    int width() const { return phone_.width; }
    int height() const { return phone_.height; }

private:
    std::shared_ptr<const Review> review_;
    sim::PhoneOptions phone_;
    std::unique_ptr<sim::Film> film_;
};

} // namespace bevel::ui
