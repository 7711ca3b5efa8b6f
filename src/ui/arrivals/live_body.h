// The body as it is being found: the newest frame's lines, while a clip is worked through.
#pragma once
#include "ui/paint/body.h"
#include <QCoreApplication>
#include <QWidget>

namespace bevel::ui {

class LiveBody : public QWidget {
public:
    explicit LiveBody(const Theme& theme, QWidget* parent = nullptr) : QWidget(parent), theme_(theme) {
        setMinimumHeight(130);
        setAccessibleName(QCoreApplication::translate("arrivals", "The body on the newest frame"));
    }
    void show_body(const std::optional<BodyPx>& body) {
        body_ = body;
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.fillRect(rect(), theme_.palette.sheet);
        if (!body_) return;
        double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
        for (const auto& q : *body_) {
            x0 = std::min(x0, q.x), x1 = std::max(x1, q.x);
            y0 = std::min(y0, q.y), y1 = std::max(y1, q.y);
        }
        const double k = 0.88 * std::min(width() / std::max(1.0, x1 - x0), height() / std::max(1.0, y1 - y0));
        const QPointF middle(0.5 * (x0 + x1), 0.5 * (y0 + y1));
        draw_body(
            p, *body_, std::nullopt, [&](double x, double y) { return QPointF(rect().center()) + k * (QPointF(x, y) - middle); }, theme_,
            2.0);
    }

private:
    const Theme& theme_;
    std::optional<BodyPx> body_;
};

} // namespace bevel::ui
