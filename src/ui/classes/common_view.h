// What most of a class miss, how sure that is, and what became of it.
#pragma once
#include "desk/classes.h"
#include "ui/shell/day_edit.h"
#include "ui/shell/rows_model.h"
#include "ui/shell/session.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QTableView;

namespace bevel::ui {

class CommonView : public QWidget {
    Q_OBJECT
public:
    explicit CommonView(Session& session, QWidget* parent = nullptr);
    void show_class(const ClassSheet& sheet);
    const std::vector<CommonFault>& common() const { return common_; }
    const std::vector<ShareChange>& changes() const { return changes_; }
    /// Nobody is named in it; empty where there is nothing to say to all.
    QString letter() const;

signals:
    void counted();
    /// Its drill is wanted in the next lesson.
    void wanted(const bevel::AskedFor& what);

private:
    void load();
    void fill();
    Session& session_;
    ClassSheet sheet_;
    std::vector<CommonFault> common_;
    std::vector<ShareChange> changes_;
    int run_ = 0;
    DayEdit* since_ = nullptr;
    QLabel *words_ = nullptr, *after_ = nullptr;
    RowsModel<CommonFault>* rows_ = nullptr;
    RowsModel<ShareChange>* change_rows_ = nullptr;
    QTableView *table_ = nullptr, *change_table_ = nullptr;
    QPushButton *drill_ = nullptr, *copy_ = nullptr;
};

} // namespace bevel::ui
