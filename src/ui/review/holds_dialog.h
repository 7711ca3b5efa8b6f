// The holds of a clip: when, how long, on which leg, how far the body sways and sinks.
#pragma once
#include "core/measure/holds.h"
#include "ui/review/review_state.h"
#include <QDialog>

namespace bevel::ui {

class HoldsDialog : public QDialog {
    Q_OBJECT
public:
    HoldsDialog(const OpenReview& open, const Units& units, QWidget* parent = nullptr);

signals:
    void wanted(double time_s); // a hold was chosen
};

} // namespace bevel::ui
