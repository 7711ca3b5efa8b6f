// What was sent to a person before, newest first; opened as it was.
#pragma once
#include "ui/shell/rows_model.h"
#include "ui/shell/session.h"
#include <QDialog>
#include <QTemporaryDir>

class QLabel;
class QPushButton;
class QTableView;

namespace bevel::ui {

/// A letter as a page that does nothing but show itself, whoever wrote it: it may have come in with somebody's record.
std::string harmless_html(const std::string& html);

class SentDialog : public QDialog {
    Q_OBJECT
public:
    SentDialog(const Session& session, const Person& person, QWidget* parent = nullptr);

signals:
    void opened(const QString& file); // a copy of what was sent

private:
    void fill(const std::vector<SentLetter>& all);
    void open_chosen();

    const Session& session_;
    QTemporaryDir copies_; // in the library, gone with the dialog; of a killed run at the next start
    RowsModel<SentLetter>* rows_ = nullptr;
    QTableView* table_ = nullptr;
    QLabel* words_ = nullptr;
    QPushButton* open_ = nullptr;
};

} // namespace bevel::ui
