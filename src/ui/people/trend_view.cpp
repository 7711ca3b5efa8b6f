#include "ui/people/trend_view.h"
#include <algorithm>
#include <cmath>
#include <QDate>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

namespace bevel::ui {
namespace {

double day_of(const KeptFigure& p) {
    return static_cast<double>(QDate::fromString(QString::fromStdString(p.day), Qt::ISODate).toJulianDay());
}

double sigma_of(const KeptFigure& p) {
    return std::hypot(p.own, p.of_clip);
}

} // namespace

TrendView::TrendView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("trend"));
    setAccessibleName(tr("The figure over the days"));
    setMinimumHeight(session_.theme.wide(170));
    setMouseTracking(true);
}

void TrendView::show_trend(const std::optional<FigureTrend>& trend, const std::optional<FigureTrend>& other) {
    trend_ = trend;
    other_ = other;
    if (trend_ && !trend_->points.empty()) {
        first_day_ = day_of(trend_->points.front()), last_day_ = day_of(trend_->points.back());
        if (last_day_ - first_day_ < 1) first_day_ -= 1, last_day_ += 1;
        low_ = 1e9, high_ = -1e9;
        std::vector<KeptFigure> all = trend_->points;
        if (other_) all.insert(all.end(), other_->points.begin(), other_->points.end());
        for (const auto& p : all) {
            first_day_ = std::min(first_day_, day_of(p)), last_day_ = std::max(last_day_, day_of(p));
            const double s = 1.3 * sigma_of(p);
            low_ = std::min({low_, p.value - s, p.low.value_or(p.value)});
            high_ = std::max({high_, p.value + s, p.high.value_or(p.value)});
        }
        const double room = std::max(1e-6, 0.12 * (high_ - low_));
        low_ -= room, high_ += room;
    }
    update();
    announce(this);
}

QRectF TrendView::area() const {
    return QRectF(rect()).adjusted(64, 12, -16, -30);
}
double TrendView::x_of(const KeptFigure& p) const {
    const QRectF r = area();
    return r.left() + (day_of(p) - first_day_) / (last_day_ - first_day_) * r.width();
}
double TrendView::y_of(double v) const {
    const QRectF r = area();
    return r.bottom() - (v - low_) / (high_ - low_) * r.height();
}

QRectF TrendView::place_of(std::size_t i) const {
    const auto& p = trend_->points[i];
    return {x_of(p) - 6, y_of(p.value) - 6, 12, 12};
}

QString TrendView::words(const KeptFigure& p) const {
    const QString unit = QString::fromStdString(p.unit);
    const auto view = view_from_name(p.view);
    if (p.judged == 0) { // of a quiet test
        const QString value = text::with_sigma(p.value, sigma_of(p), unit, session_.settings.units(Motion{}));
        return view ? tr("%1: %2, %3", "a day, a figure, from where").arg(text::day(p.day), value, text::view(*view))
                    : tr("%1: %2", "a day, a figure").arg(text::day(p.day), value);
    }
    return tr("%1: %2, %3, %n repetition(s)", nullptr, p.judged)
        .arg(text::day(p.day), text::with_sigma(p.value, sigma_of(p), unit, session_.settings.units(Motion{})),
             view ? text::view(*view) : QString());
}

QList<SpokenPart> TrendView::spoken() const {
    QList<SpokenPart> out;
    if (trend_)
        for (std::size_t i = 0; i < trend_->points.size(); ++i)
            out << SpokenPart{QString::fromStdString(trend_->points[i].day), words(trend_->points[i]), place_of(i).toRect()};
    return out;
}

void TrendView::mousePressEvent(QMouseEvent* e) {
    if (!trend_) return;
    for (std::size_t i = 0; i < trend_->points.size(); ++i)
        if (place_of(i).adjusted(-4, -4, 4, 4).contains(e->position())) return emit wanted(trend_->points[i].clip);
}

bool TrendView::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip && trend_) {
        const auto* help = static_cast<QHelpEvent*>(e);
        for (std::size_t i = 0; i < trend_->points.size(); ++i)
            if (place_of(i).adjusted(-4, -4, 4, 4).contains(help->pos())) {
                QToolTip::showText(help->globalPos(), words(trend_->points[i]), this);
                return true;
            }
        QToolTip::hideText();
        return true;
    }
    return QWidget::event(e);
}

void TrendView::paint_line(QPainter& p, const FigureTrend& t, const QColor& colour, bool dashed) const {
    for (const auto& line : t.lines) {
        p.setPen(QPen(colour, 1.6, dashed ? Qt::DashLine : Qt::SolidLine));
        for (std::size_t k = 0; k + 1 < line.size(); ++k)
            p.drawLine(QPointF(x_of(t.points[line[k]]), y_of(t.points[line[k]].value)),
                       QPointF(x_of(t.points[line[k + 1]]), y_of(t.points[line[k + 1]].value)));
    }
    for (const auto& q : t.points) {
        const double x = x_of(q), s = sigma_of(q);
        p.setPen(QPen(colour, 1.2));
        p.drawLine(QPointF(x, y_of(q.value - s)), QPointF(x, y_of(q.value + s)));
        p.setBrush(session_.theme.palette.sheet);
        p.setPen(QPen(colour, 2));
        // From another side: another shape, as it is not comparable.
        const QRectF dot(x - 4, y_of(q.value) - 4, 8, 8);
        q.view == t.points.back().view ? p.drawEllipse(dot) : p.drawRect(dot);
    }
}

void TrendView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    p.setPen(c.line);
    p.drawRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5));
    p.setFont(session_.theme.font(10.5));
    if (!trend_ || trend_->points.empty()) {
        p.setPen(c.faint);
        p.drawText(rect(), Qt::AlignCenter, tr("Choose a figure above"));
        return;
    }
    const QRectF r = area();
    const auto& points = trend_->points;
    const QString unit = QString::fromStdString(points.back().unit);
    const Units units = session_.settings.units(Motion{});
    // The band of each stretch, from clip to clip.
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double from = i == 0 ? r.left() : 0.5 * (x_of(points[i - 1]) + x_of(points[i])),
                     to = i + 1 == points.size() ? r.right() : 0.5 * (x_of(points[i]) + x_of(points[i + 1]));
        if (!points[i].low && !points[i].high) continue;
        const double top = points[i].high ? y_of(*points[i].high) : r.top(), bottom = points[i].low ? y_of(*points[i].low) : r.bottom();
        p.fillRect(QRectF(QPointF(from, std::max(top, r.top())), QPointF(to, std::min(bottom, r.bottom()))), c.band);
    }
    p.setPen(c.faint);
    for (const double v : {low_ + 0.1 * (high_ - low_), 0.5 * (low_ + high_), high_ - 0.1 * (high_ - low_)})
        p.drawText(QRectF(2, y_of(v) - 9, 58, 18), Qt::AlignRight | Qt::AlignVCenter, text::figure(v, unit, units));
    if (other_) paint_line(p, *other_, c.faint, true);
    paint_line(p, *trend_, c.accent, false);
    if (other_) { // which is which, said at the last point of each
        for (const auto* t : {&*trend_, &*other_}) {
            const auto& q = t->points.back();
            const QString side = text::side(q.side == "left" ? Side::left : Side::right);
            p.setPen(t == &*trend_ ? c.accent : c.ink);
            const double w = p.fontMetrics().horizontalAdvance(side);
            p.drawText(QPointF(std::min(x_of(q) + 8, width() - w - 4.0), y_of(q.value) - 6), side);
        }
    }
    double last_label = -1e9;
    for (const auto& q : points) {
        const double x = x_of(q);
        const QString day = QLocale().toString(QDate::fromString(QString::fromStdString(q.day), Qt::ISODate), QStringLiteral("d MMM"));
        const double w = p.fontMetrics().horizontalAdvance(day);
        const double left = std::clamp(x - w / 2, r.left() - 20, width() - w - 4.0);
        if (left < last_label + 8) continue;
        p.setPen(c.faint);
        p.drawText(QPointF(left, height() - 9.0), day);
        last_label = left + w;
    }
}

} // namespace bevel::ui
