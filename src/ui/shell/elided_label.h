// A line of text that gives way when room is short: it ends in an ellipsis, and the whole of it is the tooltip.
#pragma once
#include <QLabel>
#include <QPainter>

namespace bevel::ui {

class ElidedLabel : public QLabel {
public:
    explicit ElidedLabel(QWidget* parent = nullptr) : QLabel(parent) { setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred); }
    QSize minimumSizeHint() const override { return {0, QLabel::minimumSizeHint().height()}; }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setPen(palette().color(QPalette::WindowText));
        const QString shown = fontMetrics().elidedText(text(), Qt::ElideRight, width());
        setToolTip(shown == text() ? QString() : text());
        p.drawText(rect(), static_cast<int>(alignment()), shown);
    }
};

} // namespace bevel::ui
