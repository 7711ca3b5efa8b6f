// The figures of the shown frame: student, reference, difference and band of the chosen part.
#pragma once
#include "ui/review/review_state.h"
#include <QTableWidget>

namespace bevel::ui {

class FiguresTable : public QTableWidget {
    Q_OBJECT
public:
    FiguresTable(const Session& session, const ReviewState& state, QWidget* parent = nullptr);
    void fill();

private:
    void fill_tempo();
    /// Band in force for a measure at the shown moment, drawn along the reference where it is about that.
    QString band_now(const MeasureSeries& s, std::optional<double> reference) const;
    const Session& session_;
    const ReviewState& state_;
};

} // namespace bevel::ui
