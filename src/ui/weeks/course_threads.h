// Weeks as threads: a table whose rows are the threads of a course and whose columns are its weeks.
#pragma once
#include "core/practice/course.h"
#include "ui/shell/session.h"
#include <QAbstractTableModel>
#include <QTableView>

namespace bevel::ui {

/// The first row is of the weeks themselves, the others of the threads.
class ThreadsModel : public QAbstractTableModel {
    Q_OBJECT
public:
    using QAbstractTableModel::QAbstractTableModel;
    /// `titles`: of the threads. `now`: the week of today; as many as there are weeks: none.
    void show(const Course& course, const QStringList& titles, std::size_t now, const std::map<std::string, int>& by_hand);
    const Course& course() const { return course_; }
    std::size_t now() const { return now_; }
    /// Null for the row of the weeks.
    const CourseThread* thread(int row) const;
    /// The week a thread was set to begin in, from 1; 0: none.
    int by_hand(int row) const;
    /// Of the thread, or of the first row.
    QString name(int row) const;
    /// What names are shortened to in the header.
    void set_names_room(const QFont& font, int px);

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& i, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    QString words(const QModelIndex& i) const;
    Course course_;
    QStringList titles_;
    QFont font_;
    int room_ = 0;
    std::map<std::string, int> by_hand_;
    std::size_t now_ = 0;
};

/// B begins the thread in the chosen week, Delete leaves that to the course again, M says that the week was missed; a mark that begins or
/// grows is dragged to another week.
class ThreadsTable : public QTableView {
    Q_OBJECT
public:
    explicit ThreadsTable(const Session& session, ThreadsModel* model, QWidget* parent = nullptr);
    static constexpr int names_least = 120, names_wide = 230;
    /// Columns share the room that the names leave.
    void fit();

signals:
    void begins_asked(const QString& key, int week); // from 0
    void released(const QString& key);
    void missed_asked(int week);

protected:
    bool event(QEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void resizeEvent(QResizeEvent* e) override;

private:
    friend class ThreadsDelegate;
    const Session& session_;
    ThreadsModel* model_;
    QPersistentModelIndex dragged_;
    int over_ = -1; // column a mark is dragged to
};

} // namespace bevel::ui
