// Bodies are looked for in one clip after the other, whatever place is shown. On the interface thread.
#pragma once
#include "ui/arrivals/taking_in.h"
#include "ui/jobs/jobs.h"
#include "ui/shell/workspace.h"

namespace bevel::ui {

/// The body on the newest frame; none where it was not found.
struct NewestBody {
    std::optional<BodyPx> px;
};

class FindingQueue : public QObject {
    Q_OBJECT
public:
    FindingQueue(Session& session, QObject* parent = nullptr) : QObject(parent), session_(session) {}
    ~FindingQueue() override;
    /// Goes on with the clip that has waited longest, unless one is being worked through.
    void go_on();
    /// The clip being worked through; 0: none.
    qint64 running() const { return running_; }
    void stop();
    /// Nothing new is begun while it rests.
    void rest(bool on);
    bool rests() const { return rests_; }

signals:
    void started(qint64 clip);
    void frame(const NewestBody& body);
    /// With the problem in words, or nothing.
    void finished(qint64 clip, const QString& problem);

private:
    void start(const ClipRow& row);
    Session& session_;
    qint64 running_ = 0;
    int job_ = 0;
    bool looking_ = false, again_ = false, rests_ = false;
    std::shared_ptr<std::stop_source> stop_;
};

} // namespace bevel::ui
