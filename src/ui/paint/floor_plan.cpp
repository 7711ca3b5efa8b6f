// The feet from above.
#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include "ui/paint/lanes.h"
#include "ui/text/text.h"
#include <cmath>
#include <functional>
#include <QCoreApplication>
#include <QLineF>
#include <QPainterPath>

namespace bevel::ui {
namespace {
struct FloorWords {
    Q_DECLARE_TR_FUNCTIONS(lanes)
};
/// The feet of one frame on the plan. Facing up, as seen from above and behind: own left is on the left.
class FloorPlan {
public:
    FloorPlan(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, const Theme& theme)
        : p_(p), rect_(rect), review_(review), m_(review.motion), frame_(frame), theme_(theme), c_(theme.palette),
          scale_(std::min(rect.width() / 1.5, rect.height() / 1.25)), cosine_(std::cos(m_.facing[frame])),
          sine_(std::sin(m_.facing[frame])),
          // What one camera shows of who turns changes with the way they face.
          has_x_(!m_.from_pictures() || std::abs(std::cos(m_.azimuth[frame])) >= 0.707), has_z_(!m_.from_pictures() || !has_x_) {
        for (const Side s : {Side::left, Side::right})
            for (const Point q : {left_heel, left_toe}) middle_ += 0.25 * point(s, q);
        apart_ = foot(Side::right).center().x() - foot(Side::left).center().x();
    }
    void draw() {
        grid();
        p_.setClipRect(rect_);
        for (const Side s : {Side::left, Side::right}) sole(s);
        if (frame_ < review_.measures.centre.size()) centre();
        p_.setPen(c_.faint);
        const QString note = has_x_ && has_z_ ? FloorWords::tr("From above; grid 25 cm")
                             : has_x_         ? FloorWords::tr("From above: sideways only")
                                              : FloorWords::tr("From above: forward only");
        p_.drawText(rect_.adjusted(5, 2, -4, 0), Qt::AlignLeft | Qt::AlignTop, note);
    }

private:
    const Vec3& point(Side s, Point left) const { return m_.m[frame_][static_cast<std::size_t>(on(s, left))]; }
    QPointF place(const Vec3& v) const {
        const Vec3 by = v - middle_, d(by.x() * cosine_ - by.z() * sine_, by.y(), by.x() * sine_ + by.z() * cosine_);
        return {rect_.center().x() - (has_x_ ? d.x() * scale_ : 0), rect_.center().y() - (has_z_ ? d.z() * scale_ : 0)};
    }
    /// Heel to toes; the unknown axis is spread out, not to scale.
    QLineF foot(Side s) const {
        QPointF a = place(point(s, left_heel)), b = place(point(s, left_toe));
        const double offset = (s == Side::left ? -1 : 1) * 0.16 * scale_;
        if (!has_x_) a.rx() += offset, b.rx() += offset;
        if (!has_z_) a.ry() += 0.09 * scale_, b.ry() -= 0.17 * scale_;
        return {a, b};
    }
    void grid() {
        p_.setPen(QPen(c_.line, 1, Qt::DotLine));
        for (int i = -3; i <= 3; ++i) {
            const double d = i * 0.25 * scale_;
            if (std::abs(d) < rect_.width() / 2)
                p_.drawLine(QPointF(rect_.center().x() + d, rect_.top()), QPointF(rect_.center().x() + d, rect_.bottom()));
            if (std::abs(d) < rect_.height() / 2)
                p_.drawLine(QPointF(rect_.left(), rect_.center().y() + d), QPointF(rect_.right(), rect_.center().y() + d));
        }
    }
    void sole(Side s) {
        const QLineF on_plan = foot(s);
        const QPointF a = on_plan.p1(), b = on_plan.p2();
        const Contact k = review_.measures.contact[static_cast<std::size_t>(s)][frame_];
        QColor fill = theme_.side(s);
        fill.setAlphaF(k == Contact::off ? 0.18F : k == Contact::flat ? 0.75F : 0.45F);
        p_.setPen(QPen(fill, 0.085 * scale_, Qt::SolidLine, Qt::RoundCap));
        p_.drawLine(a, b);
        p_.setPen(theme_.side(s));
        const double below = std::min(std::max(a.y(), b.y()) + 0.06 * scale_, rect_.bottom() - 20);
        // Beside one another where there is room, else each out from the middle.
        const double at = 0.5 * (a.x() + b.x()), wide = p_.fontMetrics().horizontalAdvance(text::side(s));
        const bool close = std::abs(apart_) < wide + 8, out_left = (s == Side::left) == (apart_ >= 0);
        const QRectF label(close ? (out_left ? at - 80 - 2 : at + 2) : at - 40, below, 80, 20);
        p_.drawText(label, (close ? out_left ? Qt::AlignRight : Qt::AlignLeft : Qt::AlignHCenter) | Qt::AlignTop, text::side(s));
    }
    /// The body's centre, and its way of the last moments.
    void centre() {
        const QPointF at = place(review_.measures.centre[frame_]);
        if (has_x_ && has_z_) {
            QPainterPath path;
            for (std::size_t i = frame_ > 45 ? frame_ - 45 : 0; i <= frame_; ++i) {
                if (!m_.valid[i]) continue;
                const QPointF then = place(review_.measures.centre[i]);
                if (path.elementCount() == 0)
                    path.moveTo(then);
                else
                    path.lineTo(then);
            }
            p_.setPen(QPen(c_.ink, 1.2));
            p_.setBrush(Qt::NoBrush);
            p_.drawPath(path);
        }
        p_.setPen(QPen(c_.ink, 1.6));
        if (has_x_ && has_z_) {
            p_.setBrush(c_.ink);
            p_.drawEllipse(at, 4, 4);
        } else if (has_x_) { // one axis only: a line, not a point
            p_.drawLine(QPointF(at.x(), rect_.top() + 16), QPointF(at.x(), rect_.bottom() - 4));
        } else {
            p_.drawLine(QPointF(rect_.left() + 4, at.y()), QPointF(rect_.right() - 4, at.y()));
        }
    }

    QPainter& p_;
    const QRectF& rect_;
    const Review& review_;
    const Motion& m_;
    std::size_t frame_;
    const Theme& theme_;
    const Palette& c_;
    double scale_; // px per metre
    double cosine_, sine_;
    bool has_x_, has_z_;
    Vec3 middle_ = Vec3::Zero(); // of the feet
    double apart_ = 0;
};

} // namespace

void draw_floor_plan(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect, c.sheet);
    p.setPen(c.line);
    p.drawRect(rect);
    p.setFont(theme.font(10.5));
    if (frame < review.motion.frames() && review.motion.valid[frame]) {
        FloorPlan(p, rect, review, frame, theme).draw();
    } else {
        p.setPen(c.faint);
        p.drawText(rect, Qt::AlignCenter | Qt::TextWordWrap, FloorWords::tr("The body was not found on this frame."));
    }
    p.restore();
}

} // namespace bevel::ui
