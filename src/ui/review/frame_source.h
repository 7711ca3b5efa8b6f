// Pictures for the review: the clip's frame and the reference figure, made on a thread of its own; only the newest wish is served.
#pragma once
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/review/review_state.h"
#include <condition_variable>
#include <mutex>
#include <thread>

namespace bevel::ui {

/// Pictures carry what they were made from, and are shown only while that is open.
struct FramePictures {
    std::shared_ptr<const OpenReview> of;
    std::size_t frame = 0;
    QImage student, reference;
    BodyPx reference_points;
    bool has_reference = false;
};

class FrameSource : public QObject {
    Q_OBJECT
public:
    explicit FrameSource(std::shared_ptr<const OpenReview> open, QObject* parent = nullptr);
    ~FrameSource() override;
    /// `reference_s` NaN: the reference's home posture.
    void wish(std::size_t frame, double reference_s);

signals:
    void ready(std::shared_ptr<bevel::ui::FramePictures> pictures);

private:
    void loop(const std::stop_token& stop);
    std::shared_ptr<const OpenReview> open_;
    std::mutex mutex_;
    std::condition_variable_any changed_;
    std::optional<std::pair<std::size_t, double>> wish_;
    std::jthread thread_;
};

} // namespace bevel::ui
