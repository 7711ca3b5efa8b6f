// A plan as a list: what, how often, why; dragged, locked, changed, taken out. The bar above shows where the time goes.
#pragma once
#include "core/practice/plan.h"
#include "ui/shell/session.h"
#include <QWidget>

class QDoubleSpinBox;
class QLabel;
class QListWidget;
class QPushButton;
class QSpinBox;

namespace bevel::ui {

class PlanView : public QWidget {
    Q_OBJECT
public:
    explicit PlanView(const Session& session, QWidget* parent = nullptr);
    void show_plan(const Plan& plan, const Needs& needs);
    const Plan& plan() const { return plan_; }
    int current() const;
    /// The item at a row comes before the one at another (-1: at the end), as when it is dragged there.
    void move(int row, int before);
    void take_out(int row);
    /// Through the gate: in the version that may be done. What is barred is said and stands there to be let in; until then the plan neither
    /// runs nor leaves the program.
    void insert(const std::string& movement, int row);
    /// The instructor's reason for what the gate bars; empty takes it back.
    void let_in(int row, const QString& reason);
    /// As it is asked for now, another day or another person.
    void set_needs(const Needs& needs);
    /// What may not be done today as it stands, by row.
    std::vector<int> barred_rows() const;
    void lock(int row, bool on);

signals:
    /// Changed by hand: how it was, how it is.
    void changed(const bevel::Plan& before, const bevel::Plan& after);
    void chosen(int row);
    /// A movement that was put in may not be done today: the sentence.
    void barred(const QString& words);

private:
    class Bar;
    void fill();
    void show_item();
    void ask_why(int row);
    void change(const std::function<void(Plan&)>& how);
    const Session& session_;
    Plan plan_;
    Needs needs_;
    bool filling_ = false;
    Bar* bar_ = nullptr;
    QListWidget* list_ = nullptr;
    QLabel *total_ = nullptr, *problems_ = nullptr, *detail_ = nullptr;
    QSpinBox *left_ = nullptr, *right_ = nullptr, *times_ = nullptr, *holds_ = nullptr, *hold_s_ = nullptr;
    QPushButton *lock_ = nullptr, *out_ = nullptr, *up_ = nullptr, *down_ = nullptr, *let_in_ = nullptr;
};

} // namespace bevel::ui
