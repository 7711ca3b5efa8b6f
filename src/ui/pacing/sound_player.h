// Plays a sound track from a moment on, and tells how much of it was heard: the clock the pictures follow.
#pragma once
#include "core/practice/tones.h"
#include <memory>
#include <mutex>
#include <QAudioSink>
#include <QIODevice>
#include <QObject>

namespace bevel::ui {

class SoundPlayer : public QObject {
    Q_OBJECT
public:
    explicit SoundPlayer(QObject* parent = nullptr);
    ~SoundPlayer() override;
    /// Whether there is a device that sounds. Without one the run goes by the system's clock.
    static bool there();
    /// From a moment of the track on.
    void play(std::shared_ptr<const SoundTrack> track, double from_s);
    void stop();
    bool plays() const { return sink_ != nullptr; }
    /// Moment of the track that is heard now, s; `delay_s` is taken off for a device that lags behind what it says.
    double heard_s(double delay_s = 0) const;

private:
    /// What the device reads from; on a thread of its own.
    class Stream : public QIODevice {
    public:
        void set(std::shared_ptr<const SoundTrack> track, std::int64_t from);
        bool isSequential() const override { return true; }
        qint64 bytesAvailable() const override { return 1 << 20; }

    protected:
        qint64 readData(char* data, qint64 most) override;
        qint64 writeData(const char*, qint64) override { return -1; }

    private:
        std::mutex mutex_;
        std::shared_ptr<const SoundTrack> track_;
        std::int64_t at_ = 0;
        std::vector<float> piece_;
    };
    Stream stream_;
    std::unique_ptr<QAudioSink> sink_;
    double from_s_ = 0;
};

} // namespace bevel::ui
