// The instructor's own words by rule and direction: looked through, and taken out.
#pragma once
#include "ui/shell/rows_model.h"
#include "ui/shell/session.h"
#include <QDialog>

class QLabel;
class QPushButton;
class QTableView;

namespace bevel::ui {

class PhraseDialog : public QDialog {
    Q_OBJECT
public:
    explicit PhraseDialog(Session& session, QWidget* parent = nullptr);

private:
    void load();
    void fill(const std::vector<Phrase>& all);

    Session& session_;
    RowsModel<Phrase>* rows_ = nullptr;
    QTableView* table_ = nullptr;
    QLabel* words_ = nullptr;
    QPushButton* drop_ = nullptr;
};

} // namespace bevel::ui
