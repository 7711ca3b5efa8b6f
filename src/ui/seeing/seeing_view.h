// The clip that is looked at, with a line of its moments below: what was said of which, and, once it is told, what is there.
#pragma once
#include "ui/seeing/clip_seen.h"
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QElapsedTimer>
#include <QTimer>
#include <QWidget>

namespace bevel::ui {

class SeeingView : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit SeeingView(Session& session, QWidget* parent = nullptr);
    void show_clip(std::shared_ptr<const ClipSeen> clip);
    const ClipSeen* clip() const { return clip_.get(); }
    void set_said(const std::vector<Said>& said);
    /// Of what is there: where it shows, with the body's lines on the picture; none: the picture alone.
    void show_there(const std::optional<Visible>& what);
    void set_time(double t);
    double time() const { return time_; }
    void step(int frames);
    void play(bool on);
    bool plays() const { return timer_.isActive(); }
    void set_speed(double times) { speed_ = times; }
    bool is_current() const;
    int shown() const { return shown_; } // pictures, since it plays
    QList<SpokenPart> spoken() const override;

signals:
    void moved(double t);
    void played(bool on);

protected:
    void paintEvent(QPaintEvent*) override;
    void showEvent(QShowEvent*) override { ask(); }
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;

private:
    void ask();
    QRectF line() const;
    QRectF crop() const;
    double at(double x) const;
    void paint_line(QPainter& p) const;
    QString words() const;
    Session& session_;
    SeenSource source_;
    std::shared_ptr<const ClipSeen> clip_;
    std::shared_ptr<SeenPicture> picture_;
    mutable QRectF crop_; // of the clip's pixels, for this size of the view
    mutable QSize crop_for_;
    std::vector<Said> said_;
    std::optional<Visible> there_;
    double time_ = 0, speed_ = 1;
    int shown_ = 0;
    QTimer timer_;
    QElapsedTimer since_;
};

} // namespace bevel::ui
