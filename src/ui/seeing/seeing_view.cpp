#include "ui/seeing/seeing_view.h"
#include "ui/paint/body.h"
#include "ui/text/data_words.h"
#include "ui/text/seeing_words.h"
#include <cmath>
#include <QMouseEvent>
#include <QPainter>

namespace bevel::ui {
namespace {
constexpr int foot = 84; // px below the picture: words and the line of moments
}

SeeingView::SeeingView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("seeingView"));
    setAccessibleName(tr("The clip that is looked at"));
    setMinimumSize(260, 280);
    timer_.setInterval(16);
    connect(&timer_, &QTimer::timeout, this, [this] {
        const double by = static_cast<double>(since_.nsecsElapsed()) * 1e-9 * speed_;
        since_.start();
        const double to = time_ + by;
        set_time(clip_ && to > clip_->duration() ? 0 : to); // again from the beginning
    });
    connect(&source_, &SeenSource::ready, this, [this](const std::shared_ptr<SeenPicture>& picture) {
        if (picture->of != clip_) return; // of one that was left
        picture_ = picture;
        ++shown_;
        update();
    });
}

void SeeingView::show_clip(std::shared_ptr<const ClipSeen> clip) {
    clip_ = std::move(clip);
    picture_.reset();
    said_.clear(), there_.reset();
    crop_for_ = {};
    time_ = 0;
    if (!clip_) play(false);
    set_time(0);
}

void SeeingView::set_said(const std::vector<Said>& said) {
    said_ = said;
    update();
}

void SeeingView::show_there(const std::optional<Visible>& what) {
    there_ = what;
    update();
    announce(this);
}

void SeeingView::set_time(double t) {
    time_ = clip_ ? std::clamp(t, 0.0, clip_->duration()) : 0;
    ask();
    emit moved(time_);
    update();
}

void SeeingView::step(int frames) {
    if (!clip_) return;
    play(false);
    const auto last = static_cast<int>(clip_->track().time_s.size()) - 1;
    const int to = std::clamp(static_cast<int>(clip_->frame_at(time_)) + frames, 0, std::max(0, last));
    if (last >= 0) set_time(clip_->track().time_s[static_cast<std::size_t>(to)]);
}

void SeeingView::play(bool on) {
    if (on && !clip_) return;
    if (on == timer_.isActive()) return;
    shown_ = 0;
    since_.start();
    if (on)
        timer_.start();
    else
        timer_.stop();
    emit played(on);
}

void SeeingView::ask() {
    if (!clip_ || !isVisible() || clip_->track().time_s.empty()) return;
    source_.wish(clip_, clip_->frame_at(time_));
}

bool SeeingView::is_current() const {
    return clip_ && picture_ && picture_->of == clip_ && picture_->frame == clip_->frame_at(time_) && !picture_->image.isNull();
}

QRectF SeeingView::line() const {
    return {14, height() - 40.0, width() - 28.0, 14};
}

double SeeingView::at(double x) const {
    const QRectF r = line();
    return clip_ ? (x - r.left()) / r.width() * clip_->duration() : 0;
}

void SeeingView::mousePressEvent(QMouseEvent* e) {
    setFocus();
    if (e->position().y() > height() - foot) set_time(at(e->position().x()));
}
void SeeingView::mouseMoveEvent(QMouseEvent* e) {
    if (e->buttons() & Qt::LeftButton && e->position().y() > height() - foot) set_time(at(e->position().x()));
}

QString SeeingView::words() const {
    if (!clip_) return {};
    const Movement& m = clip_->review().movement;
    const QString part = text::phase_at(m, clip_->review().alignment, time_);
    return part.isEmpty() ? tr("%1, between two repetitions", "a moment of the clip").arg(text::time(time_))
                          : tr("%1, %2", "a moment of the clip, the part of the movement").arg(text::time(time_), part);
}

QList<SpokenPart> SeeingView::spoken() const {
    if (!clip_) return {};
    QList<SpokenPart> out{{tr("The clip"), text::view(clip_->view()), rect().adjusted(0, 0, 0, -foot)},
                          {tr("Moment"), words(), line().toRect()}};
    if (there_)
        out << SpokenPart{tr("Where it shows"), text::where_visible(*there_, clip_->review().movement, clip_->review()), line().toRect()};
    return out;
}

/// What is shown of the clip's picture: the student wherever they go, as large as it fits.
QRectF SeeingView::crop() const {
    if (crop_for_ != size()) {
        crop_ = crop_of(clip_->track(), static_cast<double>(width()) / std::max(1, height() - foot));
        crop_for_ = size();
    }
    return crop_;
}

void SeeingView::paint_line(QPainter& p) const {
    const Palette& c = session_.theme.palette;
    const QRectF r = line();
    const double length = std::max(0.1, clip_->duration());
    const auto x = [&](double t) { return r.left() + std::clamp(t / length, 0.0, 1.0) * r.width(); };
    p.fillRect(r, c.band);
    for (const auto& rep : clip_->review().alignment.repetitions) // parts one after another, so that a moment has a place
        for (const auto& ph : rep.phases) {
            QColor fill = c.faint;
            fill.setAlphaF(ph.index % 2 == 0 ? 0.38F : 0.20F);
            p.fillRect(QRectF(QPointF(x(ph.start_s), r.top()), QPointF(x(ph.end_s), r.bottom())), fill);
        }
    if (there_)
        for (const auto& s : there_->spans) {
            const QRectF span(QPointF(x(s.from_s), r.bottom() + 3), QPointF(std::max(x(s.to_s), x(s.from_s) + 3), r.bottom() + 9));
            p.fillRect(span, s.side ? session_.theme.side(*s.side) : c.outside);
        }
    p.setFont(session_.theme.font(9.5, QFont::DemiBold));
    for (std::size_t k = 0; k < said_.size(); ++k) {
        const double at = x(said_[k].time_s);
        p.setPen(QPen(c.accent, 2));
        p.drawLine(QPointF(at, r.top() - 4), QPointF(at, r.bottom()));
        p.drawText(QRectF(at - 14, r.top() - 20, 28, 16), Qt::AlignCenter, QString::number(k + 1));
    }
    p.setPen(QPen(c.ink, 2));
    p.drawLine(QPointF(x(time_), r.top() - 6), QPointF(x(time_), r.bottom() + 6));
}

void SeeingView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    const QRectF place(0, 0, width(), height() - foot);
    if (!clip_) {
        p.setPen(c.faint);
        p.setFont(session_.theme.font(11));
        p.drawText(rect().adjusted(40, 0, -40, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("A clip comes here: look as often and as slowly as you like, say what you see, then see what is there."));
    } else if (picture_ && !picture_->image.isNull()) {
        const auto& px = clip_->track().px;
        const QRectF from = crop();
        const double size = picture_->image.width() / static_cast<double>(std::max(1, clip_->track().width)), // of the image's pixels
            by = place.width() / from.width();
        p.setClipRect(place);
        p.drawImage(place, picture_->image, QRectF(from.topLeft() * size, from.size() * size));
        if (there_ && picture_->frame < px.size() && px[picture_->frame])
            draw_body(
                p, *px[picture_->frame], there_->family, [&](double x, double y) { return (QPointF(x, y) - from.topLeft()) * by; },
                session_.theme, 2);
        p.setClipping(false);
    } else {
        p.setPen(c.faint);
        p.drawText(place, Qt::AlignCenter, picture_ ? tr("This picture of the film cannot be read") : tr("The picture is being made …"));
    }
    if (clip_) {
        p.setPen(c.ink);
        p.setFont(session_.theme.font(11, QFont::DemiBold));
        const QRectF head(14, height() - foot + 2.0, width() - 28.0, 20);
        p.drawText(head, Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(words(), Qt::ElideRight, static_cast<int>(head.width())));
        p.setFont(session_.theme.font(10.5));
        const QString from = text::view(clip_->view());
        const QRectF caption(6, 6, p.fontMetrics().horizontalAdvance(from) + 16.0, p.fontMetrics().height() + 6.0);
        p.fillRect(caption, c.sheet);
        p.drawText(caption, Qt::AlignCenter, from);
        paint_line(p);
    }
    p.setPen(hasFocus() ? QPen(c.focus, 2) : QPen(c.line, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace bevel::ui
