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
    void insert(const std::string& movement, int row);
    void lock(int row, bool on);

signals:
    /// Changed by hand: how it was, how it is.
    void changed(const bevel::Plan& before, const bevel::Plan& after);
    void chosen(int row);

private:
    class Bar;
    void fill();
    void show_item();
    void change(const std::function<void(Plan&)>& how);
    const Session& session_;
    Plan plan_;
    Needs needs_;
    bool filling_ = false;
    Bar* bar_ = nullptr;
    QListWidget* list_ = nullptr;
    QLabel *total_ = nullptr, *problems_ = nullptr, *detail_ = nullptr;
    QSpinBox *left_ = nullptr, *right_ = nullptr, *times_ = nullptr, *holds_ = nullptr, *hold_s_ = nullptr;
    QPushButton *lock_ = nullptr, *out_ = nullptr, *up_ = nullptr, *down_ = nullptr;
};

} // namespace bevel::ui
