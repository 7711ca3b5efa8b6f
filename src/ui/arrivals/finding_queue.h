// Bodies are looked for in one clip after the other, whatever place is shown. On the interface thread.
#pragma once
#include "desk/intake.h"
#include "ui/jobs/jobs.h"
#include "ui/shell/session.h"
#include "ui/shell/workspace.h"
#include <map>

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
    /// Seconds until all clips that wait are through, by the rate of the one under way; nothing before that is known.
    std::optional<double> left_s() const { return left_s_; }

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
    /// Frames of clips whose turn is to come, counted once each; used on the lane for files.
    std::shared_ptr<std::map<std::int64_t, std::size_t>> counted_ = std::make_shared<std::map<std::int64_t, std::size_t>>();
    std::size_t waiting_frames_ = 0;
    std::optional<double> left_s_;
    void count_waiting();
};

} // namespace bevel::ui
