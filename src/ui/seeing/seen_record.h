// What one assistant saw so far: counts by rule and view, and clip by clip.
#pragma once
#include "core/seeing/rounds.h"
#include "ui/shell/rows_model.h"
#include "ui/shell/session.h"
#include <QWidget>

class QLabel;

namespace bevel::ui {

class SeenRecord : public QWidget {
    Q_OBJECT
public:
    explicit SeenRecord(Session& session, QWidget* parent = nullptr);
    void show_rounds(const std::vector<SeenRound>& newest_first);

private:
    Session& session_;
    QLabel* sum_ = nullptr;
    RowsModel<SeenTally>* tallies_ = nullptr;
    RowsModel<SeenRound>* rounds_ = nullptr;
};

} // namespace bevel::ui
