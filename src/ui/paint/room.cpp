#include "ui/paint/room.h"
#include "core/body/dims.h"
#include <algorithm>
#include <cmath>
#include <QCoreApplication>
#include <QPainter>

namespace bevel::ui {
namespace {

struct RoomWords {
    Q_DECLARE_TR_FUNCTIONS(lanes)
};

struct Limb {
    Point a, b;
    double width; // m
};
constexpr std::array<Limb, 7> limbs_of_side{{{left_shoulder, left_elbow, 0.07},
                                             {left_elbow, left_wrist, 0.055},
                                             {left_wrist, left_index, 0.045},
                                             {left_hip, left_knee, 0.10},
                                             {left_knee, left_ankle, 0.075},
                                             {left_heel, left_toe, 0.06},
                                             {left_hip, left_shoulder, 0.06}}};

class Room {
public:
    Room(QPainter& p, const QRectF& rect, double tall_m, const RoomLook& look, const Theme& theme)
        : p_(p), rect_(rect), theme_(theme), scale_(std::min(rect.width() / (0.85 * tall_m), rect.height() / (1.35 * tall_m))),
          c_(std::cos(look.azimuth_deg * deg)), s_(std::sin(look.azimuth_deg * deg)), up_(std::cos(look.above_deg * deg)),
          tilt_(std::sin(look.above_deg * deg)) {}

    /// Own axes about the middle of the feet.
    QPointF at(const Vec3& v) const {
        const double right = v.x() * c_ - v.z() * s_;
        return {rect_.center().x() + right * scale_, rect_.bottom() - 0.14 * rect_.height() - (v.y() * up_ - near(v) * tilt_) * scale_};
    }
    double near(const Vec3& v) const { return v.x() * s_ + v.z() * c_; }

    void floor() {
        p_.setPen(QPen(theme_.palette.line, 1));
        constexpr int cells = 3;
        constexpr double cell = 0.25;
        for (int i = -cells; i <= cells; ++i) {
            p_.drawLine(at(Vec3(i * cell, 0, -cells * cell)), at(Vec3(i * cell, 0, cells * cell)));
            p_.drawLine(at(Vec3(-cells * cell, 0, i * cell)), at(Vec3(cells * cell, 0, i * cell)));
        }
        // The way the student faces.
        p_.setPen(QPen(theme_.palette.faint, 1.6, Qt::SolidLine, Qt::RoundCap));
        const QPointF tip = at(Vec3(0, 0, 0.72));
        for (const Vec3& from : {Vec3(0, 0, 0.55), Vec3(-0.05, 0, 0.65), Vec3(0.05, 0, 0.65)}) p_.drawLine(at(from), tip);
    }

    void body(const Body3& b) {
        struct Piece {
            QPointF a, b;
            double near, width;
            QColor colour;
        };
        std::vector<Piece> pieces;
        const auto add = [&](const Vec3& a, const Vec3& e, double width, const QColor& colour) {
            pieces.push_back({at(a), at(e), 0.5 * (near(a) + near(e)), std::max(2.0, width * scale_), colour});
        };
        for (const Side s : {Side::left, Side::right})
            for (const auto& l : limbs_of_side) add(b[index_of(on(s, l.a))], b[index_of(on(s, l.b))], l.width, theme_.side(s));
        const QColor trunk = theme_.palette.ink;
        add(b[left_shoulder], b[right_shoulder], 0.06, trunk);
        add(b[left_hip], b[right_hip], 0.08, trunk);
        add(mid(b, left_hip), mid(b, left_shoulder), 0.09, trunk);
        add(mid(b, left_shoulder), mid(b, left_ear), 0.05, trunk);
        std::stable_sort(pieces.begin(), pieces.end(), [](const Piece& x, const Piece& y) { return x.near < y.near; });
        for (const auto& q : pieces) {
            p_.setPen(QPen(theme_.palette.sheet, q.width + 2, Qt::SolidLine, Qt::RoundCap));
            p_.drawLine(q.a, q.b);
            p_.setPen(QPen(q.colour, q.width, Qt::SolidLine, Qt::RoundCap));
            p_.drawLine(q.a, q.b);
        }
        const Vec3 ear = mid(b, left_ear);
        const double head = 0.065 * scale_;
        p_.setPen(QPen(theme_.palette.sheet, 2));
        p_.setBrush(trunk);
        p_.drawEllipse(at(ear + Vec3(0, 0.02, 0)), head, 1.25 * head);
        p_.setPen(QPen(trunk, std::max(2.0, 0.03 * scale_), Qt::SolidLine, Qt::RoundCap)); // which way the face looks
        p_.drawLine(at(ear), at(b[nose]));
        p_.setBrush(Qt::NoBrush);
    }

    void plumb(const Vec3& centre) {
        const QPointF from = at(centre), to = at(Vec3(centre.x(), 0, centre.z()));
        p_.setPen(QPen(theme_.palette.accent, 1.6, Qt::DashLine));
        p_.drawLine(from, to);
        p_.setPen(QPen(theme_.palette.sheet, 1.2));
        p_.setBrush(theme_.palette.accent);
        p_.drawEllipse(from, 4, 4);
        p_.drawEllipse(to, 3, 2.2);
        p_.setBrush(Qt::NoBrush);
    }

    void meant(const Body3& b) {
        QPen pen(theme_.palette.accent, 1.6, Qt::SolidLine, Qt::FlatCap);
        pen.setDashPattern({4, 3});
        p_.setPen(pen);
        for (const Side s : {Side::left, Side::right})
            for (const auto& l : limbs_of_side)
                if (l.a != left_wrist) p_.drawLine(at(b[index_of(on(s, l.a))]), at(b[index_of(on(s, l.b))]));
        p_.drawLine(at(b[left_shoulder]), at(b[right_shoulder]));
        p_.drawLine(at(b[left_hip]), at(b[right_hip]));
        p_.drawLine(at(mid(b, left_shoulder)), at(mid(b, left_ear)));
    }

private:
    QPainter& p_;
    QRectF rect_;
    const Theme& theme_;
    double scale_, c_, s_, up_, tilt_;
};

/// About the middle of the feet, on the floor.
Vec3 middle_of_feet(const Body3& b) {
    Vec3 m = 0.5 * (foot_centre(b, Side::left) + foot_centre(b, Side::right));
    m.y() = 0;
    return m;
}
Body3 moved(Body3 b, const Vec3& by) {
    for (auto& q : b) q -= by;
    return b;
}

} // namespace

void draw_room(QPainter& p, const QRectF& rect, const Review& review, std::size_t frame, double reference_s, const RoomLook& look,
               const Theme& theme) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect, theme.palette.sheet);
    p.setClipRect(rect);
    p.setFont(theme.font(10.5));
    const Motion& m = review.motion;
    if (frame >= m.frames() || !m.valid[frame]) {
        p.setPen(theme.palette.faint);
        p.drawText(rect, Qt::AlignCenter | Qt::TextWordWrap, RoomWords::tr("The body was not found on this frame."));
        p.restore();
        return;
    }
    const Body3 own = m.own(frame);
    const Vec3 feet = middle_of_feet(own);
    Room room(p, rect, m.stature, look, theme);
    room.floor();
    if (std::isfinite(reference_s)) {
        const Pose pose = review.reference->pose(reference_s);
        room.meant(moved(pose.points, middle_of_feet(pose.points)));
    }
    room.body(moved(own, feet));
    if (frame < review.measures.centre.size()) {
        const Vec3& c = review.measures.centre[frame];
        const double co = std::cos(m.facing[frame]), si = std::sin(m.facing[frame]);
        room.plumb(Vec3(c.x() * co - c.z() * si, c.y(), c.x() * si + c.z() * co) - feet);
    }
    p.setPen(theme.palette.faint);
    p.drawText(rect.adjusted(6, 3, -6, 0), Qt::AlignLeft | Qt::AlignTop, RoomWords::tr("In the room; grid 25 cm"));
    p.restore();
}

} // namespace bevel::ui
