#include "ui/paint/compare.h"
#include <cmath>
#include <QLineF>

namespace bevel::ui {
namespace {

QPointF point(const BodyPx& b, Point p) {
    return {b[p].x, b[p].y};
}
QPointF middle(const BodyPx& b, Point left) {
    return (point(b, left) + point(b, mirrored(left))) / 2;
}

/// Trunk and legs together, in pixels: how large a body is in a picture, whatever it does.
double size_of(const BodyPx& b) {
    double sum = QLineF(middle(b, left_hip), middle(b, left_shoulder)).length();
    for (const Side s : {Side::left, Side::right})
        sum += 0.5 * (QLineF(point(b, on(s, left_hip)), point(b, on(s, left_knee))).length() +
                      QLineF(point(b, on(s, left_knee)), point(b, on(s, left_ankle))).length());
    return sum;
}

std::vector<QPointF> chain(const BodyPx& b, const std::string& line, Side side) {
    auto of = [&](Point p) { return point(b, on(side, p)); };
    if (line == "leg") return {of(left_hip), of(left_knee), of(left_ankle)};
    if (line == "trunk") return {middle(b, left_hip), middle(b, left_shoulder)};
    if (line == "head") return {middle(b, left_shoulder), middle(b, left_ear)};
    if (line == "hips") return {point(b, left_hip), point(b, right_hip)};
    if (line == "shoulders") return {point(b, left_shoulder), point(b, right_shoulder)};
    if (line == "feet") return {point(b, left_ankle), point(b, right_ankle)};
    if (line == "foot") return {of(left_heel), of(left_toe)};
    if (line == "arm") return {of(left_shoulder), of(left_elbow), of(left_wrist)};
    const QPointF hips = middle(b, left_hip), ankles = middle(b, left_ankle);
    if (line == "centre") return {hips, {hips.x(), ankles.y()}}; // the plumb line of the hips
    if (line == "height") {
        const double half = 0.6 * QLineF(point(b, left_shoulder), point(b, right_shoulder)).length() + 12;
        return {{hips.x() - half, hips.y()}, {hips.x() + half, hips.y()}};
    }
    return {};
}

/// The point of a chain that both have in common.
QPointF anchor(const std::vector<QPointF>& c, const BodyPx& b, const std::string& line) {
    if (line == "leg") return c.back();
    if (line == "hips" || line == "shoulders" || line == "feet") return (c.front() + c.back()) / 2;
    if (line == "centre" || line == "height") return middle(b, left_ankle);
    return c.front();
}

} // namespace

Placement placement_of(const BodyPx& reference, const BodyPx& student, Side planted) {
    const double own = size_of(reference), k = own > 1 ? std::clamp(size_of(student) / own, 0.5, 2.0) : 1;
    return {k, point(student, on(planted, left_ankle)) - k * point(reference, on(planted, left_ankle))};
}

BodyPx laid_over(const BodyPx& reference, const BodyPx& student, Side planted) {
    const Placement place = placement_of(reference, student, planted);
    BodyPx out = reference;
    for (auto& p : out) {
        const QPointF q = place(p.x, p.y);
        p.x = q.x(), p.y = q.y();
    }
    return out;
}

void draw_laid_over(QPainter& p, const BodyPx& b, const std::function<QPointF(double, double)>& to, const Theme& theme, double line) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    auto at = [&](QPointF q) { return to(q.x(), q.y()); };
    std::vector<QLineF> lines{{point(b, left_shoulder), point(b, right_shoulder)},
                              {point(b, left_hip), point(b, right_hip)},
                              {middle(b, left_hip), middle(b, left_shoulder)},
                              {middle(b, left_shoulder), middle(b, left_ear)}};
    for (const Side s : {Side::left, Side::right})
        for (const auto& [u, v] : {std::pair{left_shoulder, left_elbow},
                                   {left_elbow, left_wrist},
                                   {left_hip, left_knee},
                                   {left_knee, left_ankle},
                                   {left_heel, left_toe}})
            lines.emplace_back(point(b, on(s, u)), point(b, on(s, v)));
    QPen under(QColor(255, 255, 255, 170), 2.6 * line, Qt::SolidLine, Qt::RoundCap), over(theme.palette.accent, 1.3 * line);
    over.setDashPattern({3, 2.5});
    for (const auto& pen : {under, over}) {
        p.setPen(pen);
        for (const auto& l : lines) p.drawLine(at(l.p1()), at(l.p2()));
    }
    p.restore();
}

Compared compare(const BodyPx& student, const BodyPx& reference, const std::string& line, Side side) {
    Compared c{chain(student, line, side), chain(reference, line, side)};
    if (c.empty()) return {};
    const QPointF by = anchor(c.is, student, line) - anchor(c.meant, reference, line);
    for (auto& q : c.meant) q += by;
    return c;
}

void draw_compared(QPainter& p, const Compared& c, const std::function<QPointF(double, double)>& to, const Theme& theme, double line) {
    if (c.empty()) return;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    auto path = [&](const std::vector<QPointF>& chain) {
        QPolygonF out;
        for (const auto& q : chain) out << to(q.x(), q.y());
        return out;
    };
    const QPolygonF is = path(c.is), meant = path(c.meant);
    auto draw = [&](const QPolygonF& chain, const QColor& colour, bool broken) {
        p.setPen(QPen(QColor(255, 255, 255, 200), 4.6 * line, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        p.drawPolyline(chain);
        QPen pen(colour, 2.6 * line, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
        if (broken) pen.setDashPattern({2.2, 2});
        p.setPen(pen);
        p.drawPolyline(chain);
    };
    draw(meant, theme.palette.inside, true);
    draw(is, theme.palette.outside, false);
    // From what is to what is meant, where they are farthest apart.
    QLineF most;
    for (qsizetype i = 0; i < is.size(); ++i)
        if (const QLineF way(is[i], meant[i]); way.length() > most.length()) most = way;
    if (most.length() > 9 * line) {
        p.setPen(QPen(theme.palette.inside, 1.8 * line, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(most);
        for (const double turn : {150.0, -150.0}) {
            QLineF barb = most;
            barb.translate(most.p2() - most.p1());
            barb.setAngle(most.angle() + turn);
            barb.setLength(6 * line);
            p.drawLine(barb);
        }
    }
    p.restore();
}

} // namespace bevel::ui
