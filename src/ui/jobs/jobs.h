// Work under way, as a model that the shell shows once for all places. On the interface thread.
#pragma once
#include <functional>
#include <QAbstractListModel>
#include <QElapsedTimer>

namespace bevel::ui {

enum class JobKind { copying, finding, joining, fitting, keeping, writing };
enum class JobOutcome { under_way, done, cancelled, failed };

struct Job {
    int id = 0;
    JobKind kind = JobKind::writing;
    QString subject;   // of whom, what
    double share = -1; // 0 to 1; below 0: not known
    QString pace;      // how quick and how long still, in words
    JobOutcome outcome = JobOutcome::under_way;
    QString problem;              // of a failed one
    std::function<void()> cancel; // empty: it cannot be cancelled
};

class Jobs : public QAbstractListModel {
    Q_OBJECT
public:
    using QAbstractListModel::QAbstractListModel;
    /// Begins a job; its id.
    int begin(JobKind kind, const QString& subject, std::function<void()> cancel = {});
    void progress(int id, double share, const QString& pace = {});
    /// A cancelled job is no failure. Ended ones stay until the next of their kind begins.
    void end(int id, JobOutcome outcome, const QString& problem = {});
    void cancel(int id);
    const QList<Job>& all() const { return jobs_; }
    /// The one to be shown: the newest under way, if any.
    const Job* current() const;
    static QString words(const Job& job);

    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;

signals:
    void changed();

private:
    int row_of(int id) const;
    QList<Job> jobs_;
    int last_ = 0;
};

} // namespace bevel::ui
