// Pictures for the review: the clip's frame and the reference figure, each made on a thread of its own, so that neither waits for the
// other; only the newest wish is served.
#pragma once
#include "media/clip.h"
#include "ui/jobs/mailbox.h"
#include "ui/jobs/wishes.h"
#include "ui/paint/body.h"
#include "ui/review/review_state.h"
#include <map>

namespace bevel::ui {

/// One picture. It carries what it was made from, and is shown only while that is open.
struct FramePicture {
    std::shared_ptr<const OpenReview> of;
    std::size_t frame = 0;
    bool reference = false;
    bool partner = false; // of the clip beside it; `frame` is still the cursor's
    std::size_t partner_frame = 0;
    QImage image;     // null when the frame cannot be read
    double scale = 1; // of the image against the clip's pixels
    BodyPx points;    // of the reference figure, in the clip's pixels
};

class FrameSource : public QObject {
    Q_OBJECT
public:
    /// `beside`: the clip whose frames are shown with it: the other one of a pair, or one that shows how it is meant.
    /// `hide_beside`: who it is on those is hidden, where that cannot be done surely the frame is left out.
    explicit FrameSource(std::shared_ptr<const OpenReview> open, std::shared_ptr<const OpenReview> beside = {}, bool hide_beside = false,
                         QObject* parent = nullptr);
    ~FrameSource() override;
    /// `reference_s` NaN: the reference's home posture. `scale`: size at which the reference is needed, of the clip's own, 0 to 1.
    /// `partner`: frame of the clip beside it.
    void wish(std::size_t frame, double reference_s, double scale, std::optional<std::size_t> partner = {});

    /// The same clip and figure under another review, which differs in its findings alone.
    void now_of(std::shared_ptr<const OpenReview> open) { of_ = std::move(open); }

signals:
    void ready(std::shared_ptr<bevel::ui::FramePicture> picture);

private:
    struct Wish {
        std::size_t frame = 0;
        double reference_s = 0, scale = 1;
        std::optional<std::size_t> partner;
    };
    void show_student(const std::stop_token& stop);
    void show_partner(const std::stop_token& stop);
    void show_reference(const std::stop_token& stop);
    void deliver(std::shared_ptr<FramePicture> picture);
    std::shared_ptr<const OpenReview> open_, beside_;
    bool hide_beside_ = false;
    std::shared_ptr<const OpenReview> of_; // what the pictures are said to be of; interface thread only
    Mailbox mail_;
    Wishes<Wish> student_, partner_, reference_;
};

} // namespace bevel::ui
