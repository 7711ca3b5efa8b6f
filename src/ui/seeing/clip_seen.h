// The clip that is looked at: a virtual student's, or one of the library; and its pictures, made on a thread of their own.
#pragma once
#include "core/seeing/exercise.h"
#include "desk/seeing.h"
#include "ui/jobs/mailbox.h"
#include "ui/jobs/wishes.h"
#include <QImage>
#include <QObject>

namespace bevel::ui {

/// Immutable and shared; one of both is there.
struct ClipSeen {
    std::optional<Exercise> exercise;
    std::shared_ptr<const sim::Student> student; // of the exercise
    std::optional<ClipToSee> kept;
    const Review& review() const { return exercise ? *exercise->review : *kept->review; }
    const WhatIsThere& truth() const { return exercise ? exercise->truth : kept->truth; }
    const std::vector<Sayable>& offered() const { return exercise ? exercise->offered : kept->offered; }
    const Track& track() const { return exercise ? exercise->track : kept->open->track; }
    View view() const { return exercise ? exercise->take.phone.view : review().motion.view; }
    double duration() const { return track().time_s.empty() ? 0 : track().time_s.back(); }
    /// The frame that is shown at a moment.
    std::size_t frame_at(double t) const;
};

struct SeenPicture {
    std::shared_ptr<const ClipSeen> of;
    std::size_t frame = 0;
    QImage image; // null when it cannot be read
};

class SeenSource : public QObject {
    Q_OBJECT
public:
    explicit SeenSource(QObject* parent = nullptr);
    ~SeenSource() override { wishes_.stop(); }
    void wish(std::shared_ptr<const ClipSeen> of, std::size_t frame) { wishes_.set({std::move(of), frame, {}}); }

signals:
    void ready(std::shared_ptr<bevel::ui::SeenPicture> picture);

private:
    void draw(const std::stop_token& stop);
    Mailbox mail_;
    Wishes<SeenPicture> wishes_;
};

} // namespace bevel::ui
