// What changed: what was asked of a person and what became of it, then what changed beyond its error; the rest is folded.
#pragma once
#include "ui/people/person_files.h"
#include "ui/people/trend_view.h"
#include "ui/shell/rows_model.h"

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace bevel::ui {

class ChangesView : public QWidget {
    Q_OBJECT
public:
    explicit ChangesView(Session& session, QWidget* parent = nullptr);
    /// The sheet must live until another is shown.
    void show_sheet(const PersonSheet& sheet);

private:
    void build_table();
    void fill();
    void fill_asked();
    void show_trend();
    void side_by_side();
    const FigureTrend* chosen() const; // of the table; null without one
    std::string movement() const;
    QString now_of(const FigureTrend& t) const;
    QString change(const FigureTrend& t) const;
    QString figure(const FigureTrend& t, const KeptFigure* p) const;
    bool is_of_last_clip(const FigureTrend& t) const;

    Session& session_;
    const PersonSheet* sheet_ = nullptr;
    bool filling_ = false;
    std::string last_day_; // of a clip of the movement
    QComboBox* movement_ = nullptr;
    QVBoxLayout* asked_ = nullptr;
    QWidget* asked_box_ = nullptr;
    RowsModel<FigureTrend>* rows_ = nullptr;
    QTableView* table_ = nullptr;
    QPushButton *others_ = nullptr, *beside_ = nullptr;
    QLabel* hint_ = nullptr;
    QCheckBox* other_side_ = nullptr;
    TrendView* trend_ = nullptr;
};

} // namespace bevel::ui
