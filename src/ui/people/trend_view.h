// A figure over the days: a point a clip with its error, the band it was judged by, lines where it may be compared.
#pragma once
#include "core/review/trend.h"
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QWidget>

namespace bevel::ui {

class TrendView : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit TrendView(const Session& session, QWidget* parent = nullptr);
    /// `other`: the same figure of the other side, drawn beside it.
    void show_trend(const std::optional<FigureTrend>& trend, const std::optional<FigureTrend>& other = std::nullopt);
    QList<SpokenPart> spoken() const override;
    QRectF place_of(std::size_t point) const; // where it is drawn

signals:
    void wanted(qint64 clip); // a point was chosen

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    QRectF area() const;
    double x_of(const KeptFigure& p) const;
    double y_of(double value) const;
    QString words(const KeptFigure& p) const;
    const Session& session_;
    void paint_line(QPainter& p, const FigureTrend& t, const QColor& colour, bool dashed) const;
    std::optional<FigureTrend> trend_, other_;
    double first_day_ = 0, last_day_ = 1, low_ = 0, high_ = 1;
};

} // namespace bevel::ui
