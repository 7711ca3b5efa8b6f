#include "ui/jobs/jobs.h"

namespace bevel::ui {

int Jobs::row_of(int id) const {
    for (int i = 0; i < jobs_.size(); ++i)
        if (jobs_[i].id == id) return i;
    return -1;
}

int Jobs::begin(JobKind kind, const QString& subject, std::function<void()> cancel) {
    for (auto i = static_cast<int>(jobs_.size()) - 1; i >= 0; --i) {
        if (jobs_[i].kind != kind || jobs_[i].outcome == JobOutcome::under_way) continue;
        beginRemoveRows({}, i, i);
        jobs_.removeAt(i);
        endRemoveRows();
    }
    const auto row = static_cast<int>(jobs_.size());
    beginInsertRows({}, row, row);
    Job job;
    job.id = ++last_;
    job.kind = kind;
    job.subject = subject;
    job.cancel = std::move(cancel);
    jobs_ << job;
    endInsertRows();
    emit changed();
    return last_;
}

void Jobs::progress(int id, double share, const QString& pace) {
    const int row = row_of(id);
    if (row < 0 || jobs_[row].outcome != JobOutcome::under_way) return;
    jobs_[row].share = share;
    jobs_[row].pace = pace;
    emit dataChanged(index(row), index(row));
    emit changed();
}

void Jobs::end(int id, JobOutcome outcome, const QString& problem) {
    const int row = row_of(id);
    if (row < 0) return;
    jobs_[row].outcome = outcome;
    jobs_[row].problem = problem;
    jobs_[row].cancel = {};
    emit dataChanged(index(row), index(row));
    emit changed();
}

void Jobs::cancel(int id) {
    const int row = row_of(id);
    if (row >= 0 && jobs_[row].cancel) jobs_[row].cancel();
}

const Job* Jobs::current() const {
    for (auto i = jobs_.size() - 1; i >= 0; --i)
        if (jobs_[i].outcome == JobOutcome::under_way) return &jobs_[i];
    return nullptr;
}

QString Jobs::words(const Job& job) {
    QString what;
    switch (job.kind) {
    case JobKind::copying:
        what = tr("Copying the clip: %1");
        break;
    case JobKind::finding:
        what = tr("Finding the body: %1");
        break;
    case JobKind::joining:
        what = tr("Putting two clips in one room: %1");
        break;
    case JobKind::fitting:
        what = tr("Fitting one body to the clip: %1");
        break;
    case JobKind::keeping:
        what = tr("Keeping the library: %1");
        break;
    case JobKind::writing:
        what = tr("Writing: %1");
        break;
    }
    return what.arg(job.subject);
}

int Jobs::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(jobs_.size());
}

QVariant Jobs::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= jobs_.size()) return {};
    const Job& job = jobs_[index.row()];
    if (role == Qt::DisplayRole) return words(job);
    if (role == Qt::ToolTipRole) return job.problem;
    return {};
}

} // namespace bevel::ui
