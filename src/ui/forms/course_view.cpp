#include "ui/forms/course_view.h"
#include "ui/paint/lanes.h"
#include <algorithm>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

namespace bevel::ui {
namespace {
constexpr double ruler = 30, breath_height = 26, gap = 4;
constexpr double usual_stature = 1.7;

TimeMapper map_of(const Review& r) {
    return TimeMapper::clock(r.alignment.repetitions.front().start_s, r.alignment.repetitions.back().end_s);
}
} // namespace

CourseView::CourseView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("course"));
    setAccessibleName(tr("The course of the movement in time"));
    setToolTip(tr("Weight from the left foot (above) to the right, breath, and one measure with its bands; a click goes to that moment"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void CourseView::show_movement(const Movement& movement) {
    review_.reset();
    update();
    const int run = ++run_;
    lane_of_work_.run<std::shared_ptr<const Review>>(
        this, [movement](std::stop_token) { return own_course(movement, usual_stature); },
        [this, run](const std::shared_ptr<const Review>& r) {
            if (run != run_ || r->alignment.repetitions.empty()) return;
            review_ = r;
            reference_s_ = reference_times(*r);
            measures_.clear();
            auto add = [&](const std::string& id) {
                if (std::find(measures_.begin(), measures_.end(), id) != measures_.end()) return;
                const MeasureSeries* s = r->measures.find(id);
                if (!s) s = r->measures.find(id + ".left");
                if (s && !s->absent_throughout()) measures_.push_back(id);
            };
            add(r->movement.feature);
            for (const auto& c : r->movement.checks) add(c.measure);
            if (std::find(measures_.begin(), measures_.end(), lane_) == measures_.end()) lane_ = measures_.empty() ? "" : measures_.front();
            update();
            emit told();
        });
}

void CourseView::show_lane(const std::string& measure) {
    lane_ = measure;
    update();
}

void CourseView::set_time(double score_s) {
    time_ = score_s;
    update();
}

QRectF CourseView::area() const {
    return QRectF(rect()).adjusted(6, 2, -6, -4);
}

void CourseView::mousePressEvent(QMouseEvent* e) {
    if (!review_ || e->buttons() == Qt::NoButton) return;
    const QRectF r = area();
    const double share = std::clamp((e->position().x() - r.left()) / r.width(), 0.0, 1.0);
    emit chosen(map_of(*review_).time(share));
}

void CourseView::mouseMoveEvent(QMouseEvent* e) {
    mousePressEvent(e);
}

/// In: up, out: down, free: a dotted line half way.
void CourseView::paint_breath_course(QPainter& p, const QRectF& r) const {
    const TimeMapper map = map_of(*review_);
    const Palette& c = session_.theme.palette;
    const auto y = [&](double full) { return r.bottom() - 2 - full * (r.height() - 4); };
    for (const auto& rep : review_->alignment.repetitions)
        for (const auto& ph : rep.phases) {
            const Breath b = review_->movement.phases[ph.index].breath;
            const double x0 = map.x(ph.start_s, r), x1 = map.x(ph.end_s, r);
            if (b == Breath::free) {
                p.setPen(QPen(c.faint, 1.5, Qt::DotLine));
                p.drawLine(QPointF(x0, y(0.5)), QPointF(x1, y(0.5)));
                continue;
            }
            const double from = b == Breath::in ? 0 : 1;
            QPainterPath way(QPointF(x0, y(from)));
            way.cubicTo(QPointF(0.5 * (x0 + x1), y(from)), QPointF(0.5 * (x0 + x1), y(1 - from)), QPointF(x1, y(1 - from)));
            p.setPen(QPen(c.ink, 1.8));
            p.drawPath(way);
            if (x1 - x0 > 30) { // on the side of the curve where there is room
                p.setPen(c.faint);
                p.drawText(QRectF(x0 + 3, r.top(), x1 - x0, r.height()), Qt::AlignLeft | (b == Breath::in ? Qt::AlignTop : Qt::AlignBottom),
                           b == Breath::in ? tr("in") : tr("out"));
            }
        }
}

void CourseView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    const QRectF all = area();
    if (!review_) {
        p.setPen(c.faint);
        p.drawText(all, Qt::AlignCenter, tr("The course is being told …"));
    } else {
        const TimeMapper map = map_of(*review_);
        const double rest = all.height() - ruler - breath_height - 3 * gap;
        const QRectF top(all.left(), all.top(), all.width(), ruler), tide(all.left(), top.bottom() + gap, all.width(), 0.52 * rest),
            breath(all.left(), tide.bottom() + gap, all.width(), breath_height),
            lane(all.left(), breath.bottom() + gap, all.width(), 0.48 * rest);
        p.setFont(session_.theme.font(10));
        draw_ruler(p, top, *review_, map, session_.theme);
        draw_tide(p, tide, *review_, reference_s_, map, session_.theme);
        p.setFont(session_.theme.font(9.5));
        paint_breath_course(p, breath);
        const MeasureSeries* series = review_->measures.find(lane_);
        std::optional<Side> side;
        if (!series && !lane_.empty()) series = review_->measures.find(lane_ + ".left"), side = Side::left;
        if (series) {
            Lane l;
            l.title = session_.catalogue.name(QString::fromStdString(lane_));
            l.unit = QString::fromStdString(series->unit);
            l.units = session_.settings.units(review_->motion);
            l.series = series;
            l.side = side;
            for (const auto& check : review_->movement.checks)
                if (check.measure == lane_) l.checks.push_back(&check);
            draw_lane(p, lane, l, *review_, reference_s_, map, session_.theme);
        }
        const double x = map.x(time_, all);
        if (x >= all.left() && x <= all.right()) {
            p.setPen(QPen(c.ink, 1.5));
            p.drawLine(QPointF(x, tide.top() - 3), QPointF(x, lane.bottom() + 2));
        }
    }
    p.setPen(c.line);
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace bevel::ui
