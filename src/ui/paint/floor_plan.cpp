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
} // namespace

void draw_floor_plan(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect, c.sheet);
    p.setPen(c.line);
    p.drawRect(rect);
    const Motion& m = review.motion;
    p.setFont(theme.font(10.5));
    if (frame >= m.frames() || !m.valid[frame]) {
        p.setPen(c.faint);
        p.drawText(rect, Qt::AlignCenter | Qt::TextWordWrap, FloorWords::tr("The body was not found on this frame."));
        p.restore();
        return;
    }
    const double scale = std::min(rect.width() / 1.5, rect.height() / 1.25); // px per metre
    // What one camera shows of who turns changes with the way they face.
    const bool has_x = !m.from_pictures() || std::abs(std::cos(m.azimuth[frame])) >= 0.707, has_z = !m.from_pictures() || !has_x;
    const double cosine = std::cos(m.facing[frame]), sine = std::sin(m.facing[frame]);
    auto own = [&](const Vec3& v) { return Vec3(v.x() * cosine - v.z() * sine, v.y(), v.x() * sine + v.z() * cosine); };
    Vec3 middle = Vec3::Zero();
    for (const Side s : {Side::left, Side::right})
        for (const Point q : {left_heel, left_toe}) middle += 0.25 * m.m[frame][static_cast<std::size_t>(on(s, q))];
    // Facing up on the plan, as seen from above and behind: own left is on the left.
    auto place = [&](const Vec3& v) {
        const Vec3 d = own(v - middle);
        return QPointF(rect.center().x() - (has_x ? d.x() * scale : 0), rect.center().y() - (has_z ? d.z() * scale : 0));
    };
    // The unknown axis is spread out, not to scale.
    auto foot = [&](Side s) {
        QPointF a = place(m.m[frame][static_cast<std::size_t>(on(s, left_heel))]),
                b = place(m.m[frame][static_cast<std::size_t>(on(s, left_toe))]);
        const double offset = (s == Side::left ? -1 : 1) * 0.16 * scale;
        if (!has_x) a.rx() += offset, b.rx() += offset;
        if (!has_z) a.ry() += 0.09 * scale, b.ry() -= 0.17 * scale;
        return QLineF(a, b);
    };
    const double apart = foot(Side::right).center().x() - foot(Side::left).center().x();
    p.setPen(QPen(c.line, 1, Qt::DotLine));
    for (int i = -3; i <= 3; ++i) {
        const double d = i * 0.25 * scale;
        if (std::abs(d) < rect.width() / 2)
            p.drawLine(QPointF(rect.center().x() + d, rect.top()), QPointF(rect.center().x() + d, rect.bottom()));
        if (std::abs(d) < rect.height() / 2)
            p.drawLine(QPointF(rect.left(), rect.center().y() + d), QPointF(rect.right(), rect.center().y() + d));
    }
    p.setClipRect(rect);
    for (const Side s : {Side::left, Side::right}) {
        const QPointF a = foot(s).p1(), b = foot(s).p2();
        const Contact k = review.measures.contact[static_cast<std::size_t>(s)][frame];
        QPen pen(theme.side(s), 0.085 * scale, Qt::SolidLine, Qt::RoundCap);
        QColor fill = theme.side(s);
        fill.setAlphaF(k == Contact::off ? 0.18F : k == Contact::flat ? 0.75F : 0.45F);
        pen.setColor(fill);
        p.setPen(pen);
        p.drawLine(a, b);
        p.setPen(theme.side(s));
        const double below = std::min(std::max(a.y(), b.y()) + 0.06 * scale, rect.bottom() - 20);
        // Beside one another where there is room, else each out from the middle.
        const double at = 0.5 * (a.x() + b.x()), wide = p.fontMetrics().horizontalAdvance(text::side(s));
        const bool close = std::abs(apart) < wide + 8, out_left = (s == Side::left) == (apart >= 0);
        const QRectF label(close ? (out_left ? at - 80 - 2 : at + 2) : at - 40, below, 80, 20);
        p.drawText(label, (close ? out_left ? Qt::AlignRight : Qt::AlignLeft : Qt::AlignHCenter) | Qt::AlignTop, text::side(s));
    }
    if (frame < review.measures.centre.size()) {
        const auto from = frame > 45 ? frame - 45 : 0;
        QPainterPath path;
        for (std::size_t i = from; i <= frame; ++i) {
            if (!m.valid[i]) continue;
            const QPointF at = place(review.measures.centre[i]);
            if (path.elementCount() == 0)
                path.moveTo(at);
            else
                path.lineTo(at);
        }
        p.setPen(QPen(c.ink, 1.2));
        p.setBrush(Qt::NoBrush);
        if (has_x && has_z) p.drawPath(path);
        const QPointF at = place(review.measures.centre[frame]);
        p.setPen(QPen(c.ink, 1.6));
        if (has_x && has_z) {
            p.setBrush(c.ink);
            p.drawEllipse(at, 4, 4);
        } else if (has_x) { // one axis only: a line, not a point
            p.drawLine(QPointF(at.x(), rect.top() + 16), QPointF(at.x(), rect.bottom() - 4));
        } else {
            p.drawLine(QPointF(rect.left() + 4, at.y()), QPointF(rect.right() - 4, at.y()));
        }
    }
    p.setPen(c.faint);
    const QString note = has_x && has_z ? FloorWords::tr("From above; grid 25 cm")
                         : has_x        ? FloorWords::tr("From above: sideways only")
                                        : FloorWords::tr("From above: forward only");
    p.drawText(rect.adjusted(5, 2, -4, 0), Qt::AlignLeft | Qt::AlignTop, note);
    p.restore();
}

} // namespace bevel::ui
