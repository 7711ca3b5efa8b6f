#include "ui/paint/band_picture.h"
#include <algorithm>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct BandWords {
    Q_DECLARE_TR_FUNCTIONS(band)
};

/// A text centred at x, kept within the picture.
void put(QPainter& p, const QRectF& within, double x, double top, const QString& words) {
    const double w = QFontMetricsF(p.font()).horizontalAdvance(words) + 2, h = QFontMetricsF(p.font()).height();
    const double left = std::clamp(x - w / 2, within.left(), std::max(within.left(), within.right() - w));
    p.drawText(QRectF(left, top, w, h), Qt::AlignCenter, words);
}

} // namespace

BandSpan band_span(const Finding& f) {
    double low = f.value - 2 * f.sigma, high = f.value + 2 * f.sigma;
    auto take = [&](double v) { low = std::min(low, v), high = std::max(high, v); };
    for (const auto& end : {f.low, f.high})
        if (end) take(*end);
    for (const auto& o : f.outcomes) take(o.value);
    const double air = std::max({0.12 * (high - low), 0.25 * f.scale(), 1e-9});
    return {low - air, high + air};
}

void draw_band(QPainter& p, const QRectF& r, const Finding& f, const Review& review, const Theme& theme, const Units& units) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = theme.palette;
    const QString unit = QString::fromStdString(f.unit);
    const BandSpan span = band_span(f);
    auto x = [&](double v) { return r.left() + std::clamp(span.at(v), 0.0, 1.0) * r.width(); };
    p.setFont(theme.font(10));
    const double line_h = QFontMetricsF(p.font()).height(), y = r.center().y();
    // What is asked; an open end goes on to the end of the line.
    const double from = f.low ? x(*f.low) : r.left(), to = f.high ? x(*f.high) : r.right();
    p.fillRect(QRectF(from, y - 13, to - from, 26), c.band);
    p.setPen(QPen(c.inside, 2));
    for (const auto& end : {f.low, f.high})
        if (end) p.drawLine(QPointF(x(*end), y - 13), QPointF(x(*end), y + 13));
    p.setPen(QPen(c.line, 1));
    p.drawLine(QPointF(r.left(), y), QPointF(r.right(), y));
    p.setPen(c.faint);
    for (const auto& end : {f.low, f.high})
        if (end) put(p, r, x(*end), y + 15, text::figure(*end, unit, units));
    if (f.low && f.high)
        put(p, r, (from + to) / 2, y + 15 + line_h, BandWords::tr("asked"));
    else
        put(p, r, std::clamp((from + to) / 2, r.left(), r.right()), y + 15, BandWords::tr("asked"));
    // Each repetition.
    const auto& reps = review.of(f).alignment.repetitions;
    for (const auto& o : f.outcomes) {
        const auto k = static_cast<std::size_t>(o.repetition);
        const auto side = o.repetition >= 0 && k < reps.size() ? reps[k].side : std::nullopt;
        p.setPen(QPen(c.sheet, 1));
        p.setBrush(side ? theme.side(*side) : c.faint);
        p.drawEllipse(QPointF(x(o.value), y), 4.5, 4.5);
    }
    // What was seen, with its error.
    if (f.verdict == Verdict::cannot_tell) return p.restore();
    const QColor own = theme.verdict(f.verdict);
    p.setBrush(Qt::NoBrush);
    const double low = x(f.value - f.sigma), high = x(f.value + f.sigma), top = y - 22;
    p.setPen(QPen(own, 2));
    p.drawLine(QPointF(low, top), QPointF(high, top));
    p.drawLine(QPointF(low, top - 4), QPointF(low, top + 4));
    p.drawLine(QPointF(high, top - 4), QPointF(high, top + 4));
    p.setPen(QPen(own, 3));
    p.drawLine(QPointF(x(f.value), top - 5), QPointF(x(f.value), y + 13));
    p.setPen(c.ink);
    p.setFont(theme.font(10.5, QFont::DemiBold));
    put(p, r, x(f.value), top - 8 - line_h, text::with_sigma(f.value, f.sigma, unit, units));
    p.restore();
}

} // namespace bevel::ui
