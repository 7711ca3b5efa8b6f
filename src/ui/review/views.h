// The painted views of a review.
#pragma once
#include "ui/paint/lanes.h"
#include "ui/review/frame_source.h"
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QWidget>

namespace bevel::ui {

enum class Shows { student, partner, reference }; // partner: the other clip of a pair

/// A picture with the body drawn on it: the student's frame, that of the other clip of a pair, or the reference figure.
class PictureView : public QWidget, public Spoken {
    Q_OBJECT
public:
    PictureView(const Session& session, ReviewState& state, Shows what, QWidget* parent = nullptr);
    void show_picture(std::shared_ptr<FramePicture> picture);
    /// The picture that is held is one of this review too.
    void now_of(const std::shared_ptr<const OpenReview>& open);
    bool is_of(const std::shared_ptr<const OpenReview>& open) const { return picture_ && picture_->of == open; }
    /// Frame of the picture that is held, of whatever review.
    std::optional<std::size_t> shown_frame() const { return picture_ ? std::optional(picture_->frame) : std::nullopt; }
    /// Size of the clip's pixels in this view.
    double scale() const;
    /// Whether the picture of the cursor's frame of the open review is what is shown.
    bool is_current() const;
    /// The picture that is shown with its lines, so many pixels wide; null where there is none, or where who it is cannot surely be hidden.
    QImage still(bool hide, double wide) const;
    QList<SpokenPart> spoken() const override;

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;
    void wheelEvent(QWheelEvent* e) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseDoubleClickEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    const Session& session_;
    ReviewState& state_;
    Shows what_;
    bool reference_;
    const Track& track() const; // of the open review
    QPointF held_;              // where the picture was taken hold of
    QStringList captions() const;
    void draw_meant(QPainter& p, const BodyPx& body, std::size_t frame, const std::function<QPointF(double, double)>& to,
                    double line) const;
    void paint_picture(QPainter& p, const QRectF& r, const QImage& image) const;
    QRectF crop() const;
    void zoom_by(double times, QPointF at);
    void move_by(QPointF pixels);
    std::shared_ptr<FramePicture> picture_;
    mutable std::shared_ptr<const OpenReview> crop_of_; // what the crop was worked out for
    mutable QSize crop_for_;
    mutable QRectF crop_;
};

/// Feet to Breath & tempo, read from bottom to top, each with the verdict of the repetition at the cursor.
class ColumnView : public QWidget, public Spoken {
    Q_OBJECT
public:
    ColumnView(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    QList<SpokenPart> spoken() const override;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;
    bool event(QEvent* e) override;

private:
    QRectF box(int family) const;
    const Session& session_;
    ReviewState& state_;
};

/// Ruler, tide and the lanes of the chosen family, with the cursor.
class TimeView : public QWidget, public Spoken {
    Q_OBJECT
public:
    TimeView(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    void rebuild();
    QList<SpokenPart> spoken() const override;

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;

private:
    QRectF time_area() const;
    void draw_still(QPainter& p);
    const Session& session_;
    ReviewState& state_;
    TimeMapper map_;
    int shown_repetition_ = -1;
    std::vector<Lane> lanes_;
    QPixmap still_; // everything but the cursor
    std::vector<QRect> lane_places_;
};

class FloorView : public QWidget, public Spoken {
    Q_OBJECT
public:
    FloorView(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    QList<SpokenPart> spoken() const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    const Session& session_;
    ReviewState& state_;
};

/// Keys of the measures of a family that have a value in this clip or are judged by the movement, sided ones twice.
std::vector<std::string> lane_keys(const Session& session, const Review& review, Family family);

} // namespace bevel::ui
