#include "ui/arrivals/limit_strip.h"
#include <QHelpEvent>
#include <QPainter>
#include <QToolTip>

namespace bevel::ui {
namespace {
constexpr double row_height = 16, names = 190;
}

LimitStrip::LimitStrip(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("limitStrip"));
    setAccessibleName(tr("What stands in the way, along the clip"));
    hide();
}

void LimitStrip::show_limits(const std::vector<Limit>& limits) {
    limits_ = limits;
    kinds_.clear();
    end_s_ = 1;
    for (const auto& l : limits_) {
        end_s_ = std::max(end_s_, l.to_s);
        if (std::find(kinds_.begin(), kinds_.end(), l.kind) == kinds_.end()) kinds_.push_back(l.kind);
    }
    setFixedHeight(static_cast<int>(row_height * session_.theme.scale() * static_cast<double>(kinds_.size())) + 2);
    setVisible(!limits_.empty());
    update();
}

QRectF LimitStrip::place(const Limit& l) const {
    const double h = row_height * session_.theme.scale(), left = names * session_.theme.scale();
    const auto at = static_cast<double>(std::find(kinds_.begin(), kinds_.end(), l.kind) - kinds_.begin());
    const double k = (width() - left - 2) / end_s_;
    return {left + l.from_s * k, at * h + 3, std::max(3.0, (l.to_s - l.from_s) * k), h - 6};
}

QList<SpokenPart> LimitStrip::spoken() const {
    QList<SpokenPart> out;
    for (const auto& l : limits_)
        out << SpokenPart{text::limit(l.kind), tr("from %1 to %2").arg(text::time(l.from_s), text::time(l.to_s)), place(l).toRect()};
    return out;
}

void LimitStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const Palette& c = session_.theme.palette;
    p.setFont(session_.theme.font(10.5));
    const double h = row_height * session_.theme.scale(), left = names * session_.theme.scale();
    for (std::size_t i = 0; i < kinds_.size(); ++i) {
        const double y = static_cast<double>(i) * h;
        p.setPen(c.faint);
        p.drawText(QRectF(0, y, left - 8, h), Qt::AlignVCenter | Qt::AlignLeft,
                   QFontMetricsF(p.font()).elidedText(text::limit(kinds_[i]), Qt::ElideRight, left - 8));
        p.fillRect(QRectF(left, y + h / 2 - 0.5, width() - left - 2, 1), c.line);
    }
    for (const auto& l : limits_) p.fillRect(place(l), l.refuses ? c.outside : c.edge);
}

bool LimitStrip::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        QString words;
        for (const auto& l : limits_)
            if (place(l).adjusted(-2, -4, 2, 4).contains(help->pos()))
                words = tr("%1, from %2 to %3").arg(text::limit(l.kind), text::time(l.from_s), text::time(l.to_s));
        QToolTip::showText(help->globalPos(), words, this);
        return true;
    }
    return QWidget::event(e);
}

} // namespace bevel::ui
