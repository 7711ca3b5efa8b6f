#include "ui/forms/floor_path_view.h"
#include "ui/text/data_words.h"
#include "ui/text/text.h"
#include <cmath>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <set>

namespace bevel::ui {
namespace {
constexpr double foot_m = 0.24, margin = 26, title_high = 20;
}

FloorPathView::FloorPathView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("floorPath"));
    setAccessibleName(tr("The way over the floor, from above"));
    setToolTip(tr("Where the feet stand, from above, with the number of the part; a click goes to it"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void FloorPathView::show_form(std::shared_ptr<const ShownForm> form) {
    form_ = std::move(form);
    update();
}

void FloorPathView::set_time(double score_s) {
    time_ = score_s;
    update();
}

QString FloorPathView::room_words(const ShownForm& form) {
    const auto metres = [](double m) { return QLocale().toString(m, 'f', 1); };
    // A step beside the feet is needed for the arms.
    return tr("Room: %1 m ahead, %2 m across", "of a form, with the arms")
        .arg(metres(form.path.deep_m() + 0.8), metres(form.path.wide_m() + 1.2));
}

QPointF FloorPathView::View::at(const Vec3& v) const {
    const double left = v.x() - centre.x(), ahead = v.z() - centre.z();
    return across ? QPointF(middle.x() + ahead * scale, middle.y() - left * scale)
                  : QPointF(middle.x() - left * scale, middle.y() - ahead * scale);
}

FloorPathView::View FloorPathView::view() const {
    View v;
    const auto& path = form_->path;
    v.centre = 0.5 * (path.least + path.most);
    v.across = path.deep_m() > path.wide_m();
    const QRectF r = QRectF(rect()).adjusted(margin, margin + title_high - 8, -margin, -margin);
    const double wide = v.across ? path.deep_m() : path.wide_m(), high = v.across ? path.wide_m() : path.deep_m();
    v.scale = std::min({r.width() / std::max(0.3, wide), r.height() / std::max(0.3, high), 170.0});
    v.middle = r.center();
    return v;
}

void FloorPathView::paint_print(QPainter& p, const View& v, const Print& print, bool stands, bool past) const {
    const QPointF a = v.at(print.heel), b = v.at(print.toe), along = b - a;
    const double length = std::max(4.0, foot_m * v.scale);
    QColor ink = session_.theme.side(print.side), fill = ink;
    ink.setAlphaF(stands ? 1.0F : past ? 0.55F : 0.35F);
    fill.setAlphaF(stands ? 0.9F : past ? 0.22F : 0.06F);
    p.save();
    p.translate(0.5 * (a + b));
    p.rotate(std::atan2(along.y(), along.x()) * 57.29578);
    p.setPen(QPen(ink, stands ? 1.6 : 1));
    p.setBrush(fill);
    // Broad at the toes, so that one sees the way it points.
    QPainterPath sole;
    const double l = 0.5 * length, w = 0.17 * length;
    sole.moveTo(-l, 0);
    sole.cubicTo(-l, -w, -0.5 * l, -0.8 * w, 0, -0.75 * w);
    sole.cubicTo(0.6 * l, -1.3 * w, l, -1.1 * w, l, 0);
    sole.cubicTo(l, 1.1 * w, 0.6 * l, 1.3 * w, 0, 0.75 * w);
    sole.cubicTo(-0.5 * l, 0.8 * w, -l, w, -l, 0);
    p.drawPath(sole);
    p.restore();
}

void FloorPathView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    p.setFont(session_.theme.font(10));
    if (!form_) {
        p.setPen(c.faint);
        p.drawText(rect(), Qt::AlignCenter, tr("The form is being laid out …"));
    } else {
        const View v = view();
        const auto& path = form_->path;
        p.setPen(c.faint);
        p.drawText(QRectF(8, 4, width() - 16, title_high), Qt::AlignLeft | Qt::AlignVCenter, room_words(*form_));
        // The way of the hips.
        QPolygonF way;
        for (const auto& w : path.way) way << v.at(w.second);
        p.setPen(QPen(c.line, 1.2, Qt::DashLine));
        p.drawPolyline(way);
        for (const auto& print : path.prints) {
            const bool stands = print.from_s <= time_ + 1e-6 && time_ <= print.to_s + 1e-6;
            paint_print(p, v, print, stands, print.to_s < time_);
        }
        // The first foot of a part carries its number, once where several come down at one place.
        std::set<int> told;
        std::vector<QPointF> taken;
        p.setFont(session_.theme.font(9, QFont::DemiBold));
        for (const auto& print : path.prints) {
            if (print.part < 0 || !told.insert(print.part).second) continue;
            const QPointF beyond = v.at(print.toe + 0.09 * (print.toe - print.heel).normalized());
            QRectF box(beyond - QPointF(11, 8), QSizeF(22, 16));
            for (int tries = 0; tries < 4; ++tries)
                for (const QPointF& t : taken)
                    if (std::abs(t.x() - box.center().x()) < 14 && std::abs(t.y() - box.center().y()) < 12) box.translate(0, 12);
            taken.push_back(box.center());
            QColor behind = c.sheet;
            behind.setAlphaF(0.85F);
            p.setPen(Qt::NoPen);
            p.setBrush(behind);
            p.drawRoundedRect(box.adjusted(3, 1, -3, -1), 7, 7);
            p.setPen(c.ink);
            p.drawText(box, Qt::AlignCenter, QString::number(print.part + 1));
        }
        // Where it begins: an arrow the way that is faced there.
        const QPointF from = v.at(path.way.front().second), ahead = v.at(path.way.front().second + Vec3(0, 0, 1)) - from;
        const QPointF unit = ahead / std::hypot(ahead.x(), ahead.y()), across(-unit.y(), unit.x());
        p.setPen(QPen(c.accent, 1.8));
        p.setBrush(c.accent);
        const QPointF tail = from - 24 * unit, tip = from - 4 * unit;
        p.drawLine(tail, tip);
        p.drawPolygon(QPolygonF{tip, tip - 7 * unit + 4 * across, tip - 7 * unit - 4 * across});
        // Where the figure is now.
        if (form_->figure) {
            const Vec3 hips = mid(form_->figure->pose(form_->figure->time_of(time_)).points, left_hip);
            p.setPen(Qt::NoPen);
            p.setBrush(c.ink);
            p.drawEllipse(v.at(hips), 4, 4);
        }
    }
    p.setPen(c.line);
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

void FloorPathView::mousePressEvent(QMouseEvent* e) {
    if (!form_) return;
    const View v = view();
    double best = 30;
    std::optional<double> to;
    // Of feet that stand at one place the next one in time, so that clicking again goes on.
    for (const bool later : {true, false})
        for (const auto& print : form_->path.prints) {
            const QPointF d = v.at(0.5 * (print.heel + print.toe)) - e->position();
            const double off = std::hypot(d.x(), d.y());
            if (off < best - 0.5 && (!later || print.from_s > time_ + 1e-6)) best = off, to = print.from_s;
        }
    if (to) emit chosen(*to);
}

QList<SpokenPart> FloorPathView::spoken() const {
    QList<SpokenPart> out;
    if (!form_) return out;
    const View v = view();
    std::set<int> told;
    for (const auto& print : form_->path.prints) {
        if (print.part < 0 || !told.insert(print.part).second) continue;
        const auto& names = form_->course.whole.part_names;
        const auto k = static_cast<std::size_t>(print.part);
        out << SpokenPart{
            tr("%1. %2", "number and name of a part of a form").arg(print.part + 1).arg(k < names.size() ? said(names[k]) : QString()),
            tr("begins with the %1 foot").arg(text::side(print.side)),
            QRectF(v.at(print.heel), v.at(print.toe)).normalized().adjusted(-6, -6, 6, 6).toRect()};
    }
    return out;
}

} // namespace bevel::ui
