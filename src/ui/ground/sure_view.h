// How sure some figures are: a whisker each, before and now.
#pragma once
#include "ui/shell/session.h"
#include <QWidget>

namespace bevel::ui {

class SureView : public QWidget {
    Q_OBJECT
public:
    /// Middle one-sigma errors of a figure over the clip; NaN: cannot be told.
    struct Sure {
        QString name, unit;
        double before = 0, now = 0;
    };
    explicit SureView(const Session& session, QWidget* parent = nullptr);
    void show_rows(const std::vector<Sure>& rows);
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString words(double v, const QString& unit) const;
    int row_height() const;
    const Session& session_;
    std::vector<Sure> rows_;
};

} // namespace bevel::ui
