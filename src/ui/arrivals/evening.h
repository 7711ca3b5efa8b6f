// Tonight's work: who waits, longest first, and how long it takes at the instructor's own pace.
#pragma once
#include "ui/shell/session.h"
#include <QElapsedTimer>
#include <QObject>

namespace bevel::ui {

class Evening : public QObject {
    Q_OBJECT
public:
    explicit Evening(Session& session) : session_(session) {}
    void watch(); // from now on, what changes in the library
    void refresh();
    const std::vector<Waiting>& all() const { return all_; }
    const std::vector<LetterLine>& due() const { return due_; } // a new clip was asked for by today and did not come
    /// To the one that waits longest, but for the clip that is open now; said when nobody waits.
    void next();
    /// A clip was opened from here; its letter was saved.
    void begun(qint64 clip);
    void letter_saved(qint64 clip);
    /// Minutes a clip takes: the median of the last letters, else what is usual.
    double minutes_each() const;
    bool knows_pace() const { return !minutes_.empty(); }
    static constexpr double usual_minutes = 3;
    static constexpr int kept = 15; // letters the pace is told from

signals:
    void changed();
    void nobody_waits();

private:
    Session& session_;
    std::vector<Waiting> all_;
    std::vector<LetterLine> due_;
    std::vector<double> minutes_; // of the last letters
    std::vector<qint64> passed_;  // left for later, this evening
    qint64 clip_ = 0;
    QElapsedTimer since_;
    int run_ = 0;
};

} // namespace bevel::ui
