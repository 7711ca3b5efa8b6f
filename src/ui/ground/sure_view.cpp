#include "ui/ground/sure_view.h"
#include "ui/text/text.h"
#include <cmath>
#include <QPainter>

namespace bevel::ui {

SureView::SureView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("sure"));
    setAccessibleName(tr("How sure the figures are"));
}

QString SureView::words(double v, const QString& unit) const {
    return std::isfinite(v) ? QStringLiteral("± ") + text::figure(v, unit, session_.settings.units(Motion{})) : tr("cannot tell");
}

int SureView::row_height() const {
    return fontMetrics().height() + 20;
}

QSize SureView::sizeHint() const {
    return {220, static_cast<int>(std::max<std::size_t>(6, rows_.size())) * row_height()};
}

void SureView::show_rows(const std::vector<Sure>& rows) {
    rows_ = rows;
    QStringList all;
    for (const auto& r : rows_) all << tr("%1: %2 before, %3 now").arg(r.name, words(r.before, r.unit), words(r.now, r.unit));
    setAccessibleDescription(all.join(QStringLiteral("; ")));
    setToolTip(all.join(QLatin1Char('\n')));
    updateGeometry();
    update();
}

void SureView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.setFont(font());
    const int high = row_height(), line = fontMetrics().height();
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const auto& r = rows_[i];
        const int y = static_cast<int>(i) * high;
        const bool told = std::isfinite(r.now), was = std::isfinite(r.before);
        const bool better = told && (!was || r.now < 0.95 * r.before), worse = !told || (was && r.now > 1.05 * r.before);
        const QString now = words(r.now, r.unit);
        const int wide = fontMetrics().horizontalAdvance(now);
        p.setPen(c.ink);
        p.drawText(QRect(0, y, width() - wide - 8, line), Qt::AlignLeft | Qt::AlignVCenter,
                   fontMetrics().elidedText(r.name, Qt::ElideRight, width() - wide - 8));
        p.setPen(better ? c.inside : worse && was ? c.outside : c.ink);
        p.drawText(QRect(width() - wide, y, wide, line), Qt::AlignRight | Qt::AlignVCenter, now);
        // Both on one scale: the wider of them is the whole width.
        const double most = std::max(was ? r.before : 0.0, told ? r.now : 0.0);
        if (most <= 0) continue;
        auto whisker = [&](double v, double at, const QColor& colour, double thick) {
            const double half = 0.5 * (width() - 8) * v / most, middle = 0.5 * width();
            p.setPen(QPen(colour, thick, Qt::SolidLine, Qt::FlatCap));
            p.drawLine(QPointF(middle - half, at), QPointF(middle + half, at));
            for (const double end : {middle - half, middle + half}) p.drawLine(QPointF(end, at - 3), QPointF(end, at + 3));
        };
        if (was) whisker(r.before, y + line + 4, c.faint, 1);
        if (told) whisker(r.now, y + line + 11, better ? c.inside : c.ink, 2);
    }
}

} // namespace bevel::ui
