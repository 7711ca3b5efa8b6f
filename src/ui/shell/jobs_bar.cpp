#include "ui/shell/jobs_bar.h"
#include "ui/shell/elided_label.h"
#include <QHBoxLayout>
#include <QProgressBar>
#include <QPushButton>

namespace bevel::ui {

JobsBar::JobsBar(Jobs& jobs, QWidget* parent) : QWidget(parent), jobs_(jobs) {
    setObjectName(QStringLiteral("jobsBar"));
    words_ = new ElidedLabel;
    words_->setObjectName(QStringLiteral("jobWords"));
    bar_ = new QProgressBar;
    bar_->setObjectName(QStringLiteral("jobProgress"));
    bar_->setAccessibleName(tr("Progress"));
    bar_->setFixedWidth(220);
    pace_ = new ElidedLabel;
    pace_->setObjectName(QStringLiteral("faint"));
    stop_ = new QPushButton(tr("Stop"));
    stop_->setObjectName(QStringLiteral("cancel"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(20, 2, 20, 6);
    row->setSpacing(12);
    row->addWidget(words_, 3);
    row->addWidget(bar_);
    row->addWidget(pace_, 2);
    row->addWidget(stop_);
    connect(&jobs_, &Jobs::changed, this, &JobsBar::show_current);
    connect(stop_, &QPushButton::clicked, this, [this] {
        if (const Job* j = jobs_.current()) jobs_.cancel(j->id);
    });
    show_current();
}

void JobsBar::show_current() {
    const Job* j = jobs_.current();
    setVisible(j != nullptr);
    if (!j) return;
    int more = -1;
    for (const auto& job : jobs_.all()) more += job.outcome == JobOutcome::under_way ? 1 : 0;
    words_->setText(more > 0 ? tr("%1 (and %n more)", nullptr, more).arg(Jobs::words(*j)) : Jobs::words(*j));
    bar_->setRange(0, j->share < 0 ? 0 : 1000);
    if (j->share >= 0) bar_->setValue(static_cast<int>(j->share * 1000));
    pace_->setText(j->pace);
    stop_->setEnabled(static_cast<bool>(j->cancel));
}

} // namespace bevel::ui
