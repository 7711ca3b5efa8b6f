// Files on their way in: dropped, chosen, or found in a watched folder once they are whole. One after the other, whatever place is shown.
#pragma once
#include "desk/intake.h"
#include "ui/jobs/jobs.h"
#include "ui/shell/workspace.h"
#include <QFileSystemWatcher>
#include <QSet>
#include <QTimer>

namespace bevel::ui {

struct Session;

class Inbox : public QObject {
    Q_OBJECT
public:
    explicit Inbox(Session& session, QObject* parent = nullptr);
    /// Files and folders with clips.
    void take(const QStringList& paths, bool even_if_same = false);
    /// Watches a folder from now on; empty: none. What lies in it already is taken too, but never twice.
    void watch(const QString& folder);
    /// What one can choose among.
    static QStringList endings();

signals:
    /// A batch has ended: how many are new, which were there already, and what went wrong with others.
    void ended(int taken, const QStringList& there, const QStringList& problems);
    /// Nothing among what was offered is a clip.
    void no_clip();

private:
    struct Batch {
        int taken = 0;
        QStringList there, problems;
    };
    void next();
    void look();
    Session& session_;
    QStringList line_;
    QSet<QString> again_; // to be taken though they are there
    Batch batch_;
    bool busy_ = false;
    QFileSystemWatcher watcher_;
    QTimer later_;
    QString folder_;
    QSet<QString> seen_;         // files of the folder that were taken, or are there already
    QMap<QString, qint64> size_; // at the last look: a file that still grows is not whole
};

} // namespace bevel::ui
