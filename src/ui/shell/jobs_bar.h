// What is under way, in one line at the foot of the window: of whom, how far, how long still, and a way to stop it.
#pragma once
#include "ui/jobs/jobs.h"
#include <QWidget>

class QProgressBar;
class QPushButton;

namespace bevel::ui {

class ElidedLabel;

class JobsBar : public QWidget {
    Q_OBJECT
public:
    explicit JobsBar(Jobs& jobs, QWidget* parent = nullptr);

private:
    void show_current();
    Jobs& jobs_;
    ElidedLabel *words_ = nullptr, *pace_ = nullptr;
    QProgressBar* bar_ = nullptr;
    QPushButton* stop_ = nullptr;
};

} // namespace bevel::ui
