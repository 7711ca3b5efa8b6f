// A run through a plan: the pacer, its clock (the sound's own, else the system's, a test's), and its sound.
#pragma once
#include "ui/pacing/sound_player.h"
#include <QElapsedTimer>
#include <QTimer>

namespace bevel::ui {

class PacerRun : public QObject {
    Q_OBJECT
public:
    PacerRun(Plan plan, const std::vector<Movement>& movements, PacerOptions options, QObject* parent = nullptr);
    const Pacer& pacer() const { return pacer_; }
    /// A clock of a test, in seconds; in place of all others.
    void set_clock(std::function<double()> clock);
    void set_sound(bool on);
    void set_spoken(const SpokenWords& spoken);
    void set_delay(double seconds) { delay_s_ = seconds; }
    bool sounds() const { return sound_on_ && SoundPlayer::there() && !clock_; }
    /// Real seconds since it was first started.
    double elapsed_s() const;

    void start();
    void pause();
    void tap();
    void back();
    void skip();
    void longer();
    void other_side();
    void drop(const std::vector<std::size_t>& items);
    void stop(); // for good
    bool stopped() const { return stopped_; }
    /// Looks at the clock now; the timer does it else.
    void tick();

signals:
    void moved();
    void called(const bevel::Call& call);
    void laid_out(); // the plan is another now
    void ended();

private:
    double clock() const;
    void changed(bool plan_changed = false);
    void play_from_here();

    Pacer pacer_;
    std::function<double()> clock_;
    QElapsedTimer real_;
    QTimer timer_;
    SoundPlayer player_;
    SpokenWords spoken_;
    bool sound_on_ = true, stopped_ = false, said_end_ = false;
    double delay_s_ = 0, last_ = 0, started_ = -1;
};

} // namespace bevel::ui
