// The figure that does a movement, with its feet from above, where it is in the movement and how it breathes.
#pragma once
#include "ui/pictures/figure_source.h"
#include "ui/shell/session.h"
#include <QElapsedTimer>
#include <QTimer>
#include <QWidget>

namespace bevel::ui {

class FigureView : public QWidget {
    Q_OBJECT
public:
    explicit FigureView(const Session& session, QWidget* parent = nullptr);
    void show_movement(const Movement& movement);
    /// A linked form from its beginning to its end; `figure` performs its course.
    void show_course(const Movement& whole, std::shared_ptr<const sim::Student> figure);
    /// A fault beside the right one; none: the right one alone.
    void show_fault(const std::optional<sim::FaultSpec>& fault);
    /// Another way of the movement beside the right one.
    void show_other(const Movement& movement);
    void set_azimuth(double degrees);
    double azimuth() const { return azimuth_; }
    void set_time(double score_s);
    double time() const { return time_; }
    double duration() const { return duration_; }
    void play(bool on);
    bool plays() const { return timer_.isActive(); }
    void set_speed(double times) { speed_ = times; }
    /// Phase and side at the shown moment; -1 outside of the repetitions.
    std::pair<int, Side> phase() const;
    /// Of a linked form: the part at the shown moment; -1 outside of all of them.
    int part() const;
    bool is_current() const { return shot_ && shot_->wish.scene == scene_ && shot_->wish.time_s == clock(time_); }
    /// Pictures that were shown since it plays.
    int shown() const { return shown_; }

signals:
    void moved(double score_s);
    void played(bool on);
    void turned(double azimuth_deg);

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override { ask(); }
    void showEvent(QShowEvent*) override { ask(); }
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;

private:
    void ask();
    double clock(double score_s) const;
    void paint_feet(QPainter& p, const QRectF& r) const;
    void paint_words(QPainter& p, const QRectF& foot) const;
    const Session& session_;
    FigureSource source_;
    std::optional<Movement> movement_;
    std::shared_ptr<const sim::Student> right_, faulty_;
    std::shared_ptr<FigureShot> shot_;
    double time_ = 0, duration_ = 0, azimuth_ = 25, speed_ = 1;
    int scene_ = 0, shown_ = 0;
    QTimer timer_;
    QElapsedTimer since_;
    QPointF held_;
};

} // namespace bevel::ui
