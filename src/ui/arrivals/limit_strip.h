// What stands in the way of judging a clip, along its time: a row a kind, with words on hovering and for a screen reader.
#pragma once
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QWidget>

namespace bevel::ui {

class LimitStrip : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit LimitStrip(const Session& session, QWidget* parent = nullptr);
    void show_limits(const std::vector<Limit>& limits);
    QList<SpokenPart> spoken() const override;

protected:
    void paintEvent(QPaintEvent*) override;
    bool event(QEvent* e) override;

private:
    QRectF place(const Limit& l) const;
    const Session& session_;
    std::vector<Limit> limits_;
    std::vector<LimitKind> kinds_;
    double end_s_ = 1;
};

} // namespace bevel::ui
