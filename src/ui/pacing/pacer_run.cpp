#include "ui/pacing/pacer_run.h"
#include "media/sound.h"

namespace bevel::ui {

PacerRun::PacerRun(Plan plan, const std::vector<Movement>& movements, PacerOptions options, QObject* parent)
    : QObject(parent), pacer_(std::move(plan), movements, options) {
    timer_.setInterval(25);
    timer_.setTimerType(Qt::PreciseTimer);
    connect(&timer_, &QTimer::timeout, this, &PacerRun::tick);
    real_.start();
}

void PacerRun::set_clock(std::function<double()> clock) {
    clock_ = std::move(clock);
    last_ = this->clock();
}

void PacerRun::set_sound(bool on) {
    if (std::exchange(sound_on_, on) != on && pacer_.running()) on ? play_from_here() : player_.stop();
    last_ = clock();
}

void PacerRun::set_spoken(const SpokenWords& spoken) {
    spoken_ = spoken;
    if (pacer_.running()) play_from_here();
    last_ = clock();
}

double PacerRun::clock() const {
    if (clock_) return clock_();
    if (player_.plays()) return player_.heard_s(delay_s_);
    return static_cast<double>(real_.nsecsElapsed()) * 1e-9;
}

double PacerRun::elapsed_s() const {
    return started_ < 0 ? 0 : (clock_ ? clock_() : static_cast<double>(real_.nsecsElapsed()) * 1e-9) - started_;
}

void PacerRun::play_from_here() {
    player_.stop();
    if (!sounds() || !pacer_.running()) return;
    player_.play(std::make_shared<const SoundTrack>(pacer_.timeline(), sound_rate, spoken_), pacer_.at_s());
}

void PacerRun::start() {
    if (stopped_) return;
    if (started_ < 0) started_ = clock_ ? clock_() : static_cast<double>(real_.nsecsElapsed()) * 1e-9;
    pacer_.start();
    play_from_here();
    last_ = clock();
    timer_.start();
    emit moved();
}

void PacerRun::pause() {
    tick();
    pacer_.pause();
    player_.stop();
    timer_.stop();
    emit moved();
}

void PacerRun::tap() {
    if (pacer_.waits()) {
        pacer_.tap();
        play_from_here();
        last_ = clock();
        return emit moved();
    }
    pacer_.running() ? pause() : start();
}

void PacerRun::tick() {
    if (!pacer_.running() || stopped_) return;
    const double now = clock();
    // A slow screen skips pictures, never counts: all the time that passed is run through, with what comes due in it.
    pacer_.advance(now - last_);
    last_ = now;
    for (const auto& c : pacer_.take_due()) emit called(c);
    if (pacer_.waits()) player_.stop();
    emit moved();
    if (pacer_.ended() && !std::exchange(said_end_, true)) {
        timer_.stop();
        emit ended();
    }
}

void PacerRun::changed(bool plan_changed) {
    if (pacer_.running()) play_from_here();
    last_ = clock();
    if (plan_changed) emit laid_out();
    emit moved();
    if (pacer_.ended() && !std::exchange(said_end_, true)) {
        timer_.stop();
        player_.stop();
        emit ended();
    }
}

void PacerRun::back() {
    tick();
    pacer_.back();
    said_end_ = false;
    changed();
}
void PacerRun::skip() {
    tick();
    pacer_.skip();
    changed();
}
void PacerRun::longer() {
    tick();
    pacer_.longer();
    changed(true);
}
void PacerRun::other_side() {
    tick();
    pacer_.once_more_other_side();
    changed(true);
}
void PacerRun::drop(const std::vector<std::size_t>& items) {
    tick();
    pacer_.drop(items);
    changed(true);
}

void PacerRun::stop() {
    if (std::exchange(stopped_, true)) return;
    tick();
    pacer_.pause();
    player_.stop();
    timer_.stop();
    if (!std::exchange(said_end_, true)) emit ended();
}

} // namespace bevel::ui
