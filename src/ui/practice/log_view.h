// What was practised: told in ten seconds, week by week, left against right.
#pragma once
#include "core/practice/log.h"
#include "ui/shell/rows_model.h"
#include "ui/shell/session.h"
#include <QDialog>
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QSlider;
class QSpinBox;
class QTableView;

namespace bevel::ui {

/// After a run, or for practice elsewhere: how long, how hard, how it felt, where it hurt.
class LogDialog : public QDialog {
    Q_OBJECT
public:
    LogDialog(const Session& session, const PracticeLog& log, QWidget* parent = nullptr);

signals:
    void kept(const bevel::PracticeLog& log);
    void stepped(int balance_step); // of the balance ladder, from now on

private:
    void agree();
    PracticeLog log_;
    QSpinBox *minutes_ = nullptr, *effort_ = nullptr;
    QLineEdit *title_ = nullptr, *felt_ = nullptr, *pain_ = nullptr;
    QLabel* caution_ = nullptr;
    QComboBox* ladder_ = nullptr; // only after practice of balance
};

class LogView : public QWidget {
    Q_OBJECT
public:
    explicit LogView(Session& session, QWidget* parent = nullptr);
    void show_person(qint64 id, const QString& name);
    void reload();
    const std::vector<PracticeLog>& all() const { return all_; }
    void add(const PracticeLog& log); // asks, then keeps
    void keep(const PracticeLog& log);
    void keep_step(qint64 person, int balance_step);
    void write_csv(const QString& file);
    void write_pdf(const QString& file);

signals:
    void filled();

private:
    class Weeks;
    void fill();
    void save_as(const QString& ending);
    Session& session_;
    qint64 person_ = 0;
    QString name_;
    std::vector<PracticeLog> all_;
    RowsModel<PracticeLog>* rows_ = nullptr;
    QTableView* table_ = nullptr;
    Weeks* weeks_ = nullptr;
    QLabel* words_ = nullptr;
    QPushButton* drop_ = nullptr;
};

} // namespace bevel::ui
