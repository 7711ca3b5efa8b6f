#include "ui/ground/point_strip.h"
#include "core/ground/derive.h"
#include <cmath>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

namespace bevel::ui {

PointStrip::PointStrip(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("pointStrip"));
    setAccessibleName(tr("How well the point is seen along the clip"));
    setToolTip(
        tr("Above: how well the point is seen. Below: its error, up to a fiftieth of the body. Shaded: doubtful. Ticks: marked by hand."));
    setFixedHeight(session_.theme.wide(44));
}

void PointStrip::show_point(const Track& t, std::optional<Point> point, const std::vector<Doubt>& doubts, const Layers& layers) {
    frames_ = static_cast<int>(t.frames());
    seen_.assign(t.frames(), NAN);
    sigma_.assign(t.frames(), NAN);
    const double tall = std::max(1.0, body_height_px(t));
    for (std::size_t i = 0; i < t.frames(); ++i) {
        if (!t.px[i]) continue;
        double seen = 1, sigma = 0;
        for (const Point p : {left_ankle, right_ankle, left_knee, right_knee, left_hip, right_hip, left_shoulder, right_shoulder}) {
            if (point && p != left_ankle) break; // once, for the chosen one
            const auto& q = (*t.px[i])[point.value_or(p)];
            seen = std::min(seen, q.visibility);
            sigma = std::max(sigma, q.sigma);
        }
        seen_[i] = static_cast<float>(seen);
        sigma_[i] = static_cast<float>(std::min(1.0, sigma / (0.02 * tall)));
    }
    doubtful_.clear();
    marked_.clear();
    const auto n = static_cast<float>(std::max(1, frames_));
    for (const auto& d : doubts)
        if (!point || !d.point || *d.point == *point) doubtful_.emplace_back(static_cast<float>(d.from) / n, static_cast<float>(d.to) / n);
    for (const auto& e : layers.edits)
        if (!e.filled && (!point || (layers.mirrored ? mirrored(e.point) : e.point) == *point))
            marked_.push_back(static_cast<float>(e.frame) / n);
    update();
}

void PointStrip::set_frame(int frame) {
    frame_ = frame;
    update();
}

void PointStrip::mousePressEvent(QMouseEvent* e) {
    if (frames_ > 0) emit asked(std::clamp(static_cast<int>(e->position().x() / std::max(1, width()) * frames_), 0, frames_ - 1));
}

void PointStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    if (frames_ == 0) return;
    const double w = width(), h = height(), half = 0.5 * h;
    QColor shade = c.outside;
    shade.setAlphaF(0.22F);
    for (const auto& [from, to] : doubtful_) p.fillRect(QRectF(from * w, 0, std::max(2.0, (to - from) * w), h), shade);
    // The lowest seeing and the largest error of the frames behind each column: a single frame is not lost.
    for (int x = 0; x < width(); ++x) {
        const int a = x * frames_ / width(), b = std::max(a + 1, (x + 1) * frames_ / width());
        float seen = 2, sigma = -1;
        bool lost = false;
        for (int i = a; i < std::min(b, frames_); ++i) {
            const auto k = static_cast<std::size_t>(i);
            if (std::isnan(seen_[k])) {
                lost = true;
                continue;
            }
            seen = std::min(seen, seen_[k]);
            sigma = std::max(sigma, sigma_[k]);
        }
        if (seen <= 1) {
            p.setPen(seen < 0.5 ? c.outside : c.inside);
            p.drawLine(QPointF(x + 0.5, half - 2), QPointF(x + 0.5, half - 2 - seen * (half - 4)));
        } else if (lost) {
            p.setPen(c.outside);
            p.drawPoint(QPointF(x + 0.5, half - 2));
        }
        if (sigma >= 0) {
            p.setPen(c.faint);
            p.drawLine(QPointF(x + 0.5, half + 2), QPointF(x + 0.5, half + 2 + sigma * (half - 4)));
        }
    }
    p.setPen(QPen(c.focus, 2));
    for (const float m : marked_) p.drawLine(QPointF(m * w, half - 5), QPointF(m * w, half + 5));
    p.setPen(QPen(c.ink, 1.5));
    const double x = (frame_ + 0.5) / frames_ * w;
    p.drawLine(QPointF(x, 0), QPointF(x, h));
    p.setPen(c.line);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace bevel::ui
