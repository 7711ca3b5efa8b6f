#include "ui/review/frame_source.h"
#include <cmath>

namespace bevel::ui {

FrameSource::FrameSource(std::shared_ptr<const OpenReview> open, QObject* parent)
    : QObject(parent), open_(std::move(open)), thread_([this](const std::stop_token& s) { loop(s); }) {}

FrameSource::~FrameSource() {
    thread_.request_stop();
    changed_.notify_all();
    thread_.join();
}

void FrameSource::wish(std::size_t frame, double reference_s) {
    const std::lock_guard lock(mutex_);
    wish_ = {frame, reference_s};
    changed_.notify_all();
}

void FrameSource::loop(const std::stop_token& stop) {
    auto reader = ClipReader::open(open_->file);
    const int w = open_->track.width > 0 ? open_->track.width : 1280, h = open_->track.height > 0 ? open_->track.height : 720;
    const ReferencePainter reference(open_->review, w, h);
    while (!stop.stop_requested()) {
        std::pair<std::size_t, double> now;
        {
            std::unique_lock lock(mutex_);
            changed_.wait(lock, stop, [&] { return wish_.has_value(); });
            if (!wish_) return;
            now = *wish_;
            wish_.reset();
        }
        auto out = std::make_shared<FramePictures>();
        out->of = open_;
        out->frame = now.first;
        if (reader)
            if (auto im = reader->frame(now.first)) out->student = to_image(**im);
        const double home = open_->review->reference->borders(Side::left).front();
        auto shot = reference.at(std::isfinite(now.second) ? now.second : home);
        out->reference = std::move(shot.picture);
        out->reference_points = shot.points;
        out->has_reference = true;
        QMetaObject::invokeMethod(
            this, [this, out] { emit ready(out); }, Qt::QueuedConnection);
    }
}

} // namespace bevel::ui
