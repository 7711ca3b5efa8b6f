// How much room the films take, until when each person's are kept, and which are past their day.
#pragma once
#include "ui/shell/session.h"
#include <QDialog>

class QLabel;
class QPushButton;
class QTableWidget;

namespace bevel::ui {

/// Films of one person.
struct Kept {
    Person person;
    int films = 0;
    std::uintmax_t bytes = 0;
    std::vector<std::int64_t> past; // clips whose film is there though the day has passed
};
/// On the background thread. `today`: ISO date.
Result<std::vector<Kept>> kept_films(const Library& library, const std::string& today);

class KeepingDialog : public QDialog {
    Q_OBJECT
public:
    KeepingDialog(Session& session, QWidget* parent = nullptr);

signals:
    void changed();

private:
    void load();
    void show_rows(const std::vector<Kept>& rows);
    void keep_until(std::int64_t person, const QDate& day);
    void remove_past();
    Session& session_;
    std::vector<Kept> rows_;
    QTableWidget* table_ = nullptr;
    QLabel* words_ = nullptr;
    QPushButton* remove_ = nullptr;
};

} // namespace bevel::ui
