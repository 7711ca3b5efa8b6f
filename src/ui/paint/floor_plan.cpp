// The feet from above.
#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include "ui/paint/lanes.h"
#include "ui/text/text.h"
#include <cmath>
#include <functional>
#include <QCoreApplication>
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
    Vec3 middle = Vec3::Zero();
    for (const Side s : {Side::left, Side::right})
        for (const Point q : {left_heel, left_toe}) middle += 0.25 * m.m[frame][static_cast<std::size_t>(on(s, q))];
    // Facing up on the plan, as seen from above and behind: own left is on the left.
    auto place = [&](const Vec3& v) {
        return QPointF(rect.center().x() - (m.has_x ? (v.x() - middle.x()) * scale : 0),
                       rect.center().y() - (m.has_z ? (v.z() - middle.z()) * scale : 0));
    };
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
        const Vec3 &heel = m.m[frame][static_cast<std::size_t>(on(s, left_heel))],
                   &toe = m.m[frame][static_cast<std::size_t>(on(s, left_toe))];
        QPointF a = place(heel), b = place(toe);
        const double offset = (s == Side::left ? -1 : 1) * 0.16 * scale; // the unknown axis is spread out, not to scale
        if (!m.has_x) a.rx() += offset, b.rx() += offset;
        if (!m.has_z) {
            a.ry() += 0.09 * scale;
            b.ry() -= 0.17 * scale;
        }
        const Contact k = review.measures.contact[static_cast<std::size_t>(s)][frame];
        QPen pen(theme.side(s), 0.085 * scale, Qt::SolidLine, Qt::RoundCap);
        QColor fill = theme.side(s);
        fill.setAlphaF(k == Contact::off ? 0.18F : k == Contact::flat ? 0.75F : 0.45F);
        pen.setColor(fill);
        p.setPen(pen);
        p.drawLine(a, b);
        p.setPen(theme.side(s));
        const double below = std::min(std::max(a.y(), b.y()) + 0.06 * scale, rect.bottom() - 20);
        const QRectF label(0.5 * (a.x() + b.x()) - 40, below, 80, 20);
        p.drawText(label, Qt::AlignHCenter | Qt::AlignTop, text::side(s));
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
        if (m.has_x && m.has_z) p.drawPath(path);
        const QPointF at = place(review.measures.centre[frame]);
        p.setPen(QPen(c.ink, 1.6));
        if (m.has_x && m.has_z) {
            p.setBrush(c.ink);
            p.drawEllipse(at, 4, 4);
        } else if (m.has_x) { // one axis only: a line, not a point
            p.drawLine(QPointF(at.x(), rect.top() + 16), QPointF(at.x(), rect.bottom() - 4));
        } else {
            p.drawLine(QPointF(rect.left() + 4, at.y()), QPointF(rect.right() - 4, at.y()));
        }
    }
    p.setPen(c.faint);
    const QString note = m.has_x && m.has_z ? FloorWords::tr("From above; grid 25 cm")
                         : m.has_x          ? FloorWords::tr("From above: sideways only")
                                            : FloorWords::tr("From above: forward only");
    p.drawText(rect.adjusted(5, 2, -4, 0), Qt::AlignLeft | Qt::AlignTop, note);
    p.restore();
}

} // namespace bevel::ui
