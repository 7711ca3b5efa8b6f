// What is shown of a review: one state that all its views share.
#pragma once
#include "desk/open_review.h"
#include "ui/shell/session.h"
#include <QObject>
#include <QPointF>

namespace bevel::ui {

class ReviewState : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    std::shared_ptr<const OpenReview> open;
    std::shared_ptr<const OpenReview> beside; // shown at the same moment: the other clip of a pair, or one that shows how it is meant
    bool beside_hidden = false;               // who that is, is not shown
    /// Whether that one stands in place of the drawn figure.
    bool shows_model() const { return open && beside && beside != open->partner; }
    std::size_t frame = 0;
    Family family = Family::feet;
    bool mirrored = false, by_movement = false;
    bool laid_over = false;         // the reference's lines over the student's picture
    std::optional<Finding> pointed; // drawn at its moment: what is, and where the reference is
    /// Points of the reference in the clip's pixels, and the frame they belong to.
    std::optional<std::pair<std::size_t, BodyPx>> reference_body;
    bool one_repetition = false;     // the time axis shows the repetition at the cursor only
    std::vector<double> reference_s; // per frame; NaN outside repetitions
    std::vector<Decision> decisions; // about the open clip, as they stand now

    /// In what lengths of the student's body are written.
    Units units;
    Decision decision_of(const Finding& f) const; // an open one where nothing was decided
    void set_decision(const Decision& d);

    /// Frame of the picture that is shown; lines, caption and figures are of it. The cursor may be a little ahead while pictures are made.
    std::optional<std::size_t> picture_frame;
    std::size_t shown() const { return picture_frame.value_or(frame); }
    /// Repetition that the shown frame belongs to, the first frame of one included; null between them.
    const Repetition* repetition_of(std::size_t shown_frame) const;
    double shown_time() const { return shown() < frames() ? open->track.time_s[shown()] : 0; }

    /// Both pictures closer, about a place in shares of what they show at 1.
    std::optional<std::pair<std::size_t, double>> held_; // frame of this clip for which a time of the other is held
    double zoom = 1;
    QPointF about{0.5, 0.5};
    static constexpr double most_zoom = 6;
    void set_zoom(double times, QPointF place);

    std::size_t frames() const { return open ? open->track.frames() : 0; }
    double time() const { return frame < frames() ? open->track.time_s[frame] : 0; }
    void set_frame(std::ptrdiff_t f);
    void set_time(double t);
    /// To the moment of a finding: where it rests on the other clip of a pair, to the same moment in this one.
    void go_to(const Finding& f);
    /// Frame of the clip beside it at the same moment of the movement; the very one asked for while that is held.
    std::optional<std::size_t> partner_frame() const;
    void set_family(Family f);
    /// By the instructor: what is found of it is to be shown; once more: all that matters again.
    void choose_part(Family f);
    void set_mirrored(bool on);
    void set_laid_over(bool on);
    void point_at(const Finding* f);
    /// The foot that carries at that frame.
    Side planted(std::size_t at) const;
    void set_by_movement(bool on);
    void set_one_repetition(bool on);
    /// Repetition at or before the cursor; -1 when there is none.
    int repetition() const;
    /// Worst verdict of a family in the repetition at the cursor (all repetitions outside of them), how far outside in half bands, and the
    /// way back: -1 down, +1 up. Nothing when the movement has no check for it.
    struct FamilyVerdict {
        Verdict verdict = Verdict::cannot_tell;
        double size = 0;
        int towards = -1;
    };
    std::optional<FamilyVerdict> verdict_of(Family f) const;

signals:
    void frame_changed();
    void view_changed(); // family, mirror, axis
    void part_chosen(bool again);
    void decisions_changed();
    void zoom_changed();
};

} // namespace bevel::ui
