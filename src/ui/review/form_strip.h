// The parts of a linked form in the clip, from left to right in time: done, cut, unlike, not seen; what is missing stands between.
#pragma once
#include "ui/review/review_state.h"
#include "ui/shell/spoken.h"
#include <QWidget>

namespace bevel::ui {

class FormStrip : public QWidget, public Spoken {
    Q_OBJECT
public:
    FormStrip(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    /// Of the review that is open now; hidden where it is of a movement.
    void show_review();
    QList<SpokenPart> spoken() const override;
    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    struct Shown {
        std::size_t place = 0; // in the parts of the form's review
        QRectF at;
    };
    std::vector<Shown> shown() const;
    std::optional<std::size_t> place_at(QPointF p) const;
    std::optional<std::size_t> place_now() const; // of the part at the cursor
    void go_to(std::size_t place);
    const Session& session_;
    ReviewState& state_;
};

} // namespace bevel::ui
