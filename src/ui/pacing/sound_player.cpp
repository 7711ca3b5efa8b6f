#include "ui/pacing/sound_player.h"
#include <cmath>
#include <QAudioDevice>
#include <QMediaDevices>

namespace bevel::ui {

SoundPlayer::SoundPlayer(QObject* parent) : QObject(parent) {}

SoundPlayer::~SoundPlayer() {
    stop();
}

bool SoundPlayer::there() {
    return !qEnvironmentVariableIsSet("BEVEL_NO_SOUND") && !QMediaDevices::defaultAudioOutput().isNull();
}

void SoundPlayer::play(std::shared_ptr<const SoundTrack> track, double from_s) {
    stop();
    QAudioFormat format;
    format.setSampleRate(static_cast<int>(track->rate()));
    format.setChannelCount(1);
    format.setSampleFormat(QAudioFormat::Int16);
    from_s_ = from_s;
    stream_.set(track, track->sample_of(from_s));
    stream_.open(QIODevice::ReadOnly);
    sink_ = std::make_unique<QAudioSink>(QMediaDevices::defaultAudioOutput(), format);
    sink_->start(&stream_);
    if (sink_->error() != QAudio::NoError) stop();
}

void SoundPlayer::stop() {
    if (sink_) sink_->stop();
    sink_.reset();
    stream_.close();
}

double SoundPlayer::heard_s(double delay_s) const {
    return sink_ ? from_s_ + std::max(0.0, static_cast<double>(sink_->processedUSecs()) * 1e-6 - delay_s) : from_s_;
}

void SoundPlayer::Stream::set(std::shared_ptr<const SoundTrack> track, std::int64_t from) {
    const std::lock_guard lock(mutex_);
    track_ = std::move(track);
    at_ = from;
}

qint64 SoundPlayer::Stream::readData(char* data, qint64 most) {
    const std::lock_guard lock(mutex_);
    if (!track_) return 0;
    const auto n = static_cast<std::size_t>(most / 2);
    piece_.resize(n);
    track_->read(at_, piece_);
    auto* out = reinterpret_cast<std::int16_t*>(data);
    for (std::size_t i = 0; i < n; ++i) out[i] = static_cast<std::int16_t>(std::lround(32000.0F * std::clamp(piece_[i], -1.0F, 1.0F)));
    at_ += static_cast<std::int64_t>(n);
    return static_cast<qint64>(2 * n);
}

} // namespace bevel::ui
