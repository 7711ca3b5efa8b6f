#include "ui/pictures/figure_view.h"
#include "ui/text/data_words.h"
#include "ui/text/text.h"
#include <cmath>
#include <QMouseEvent>
#include <QPainter>

namespace bevel::ui {

FigureView::FigureView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("figure"));
    setAccessibleName(tr("The figure doing the movement"));
    setToolTip(tr("Drag sideways to see it from another side"));
    setMinimumSize(300, 280);
    timer_.setInterval(16);
    connect(&timer_, &QTimer::timeout, this, [this] {
        const double by = static_cast<double>(since_.nsecsElapsed()) * 1e-9 * speed_;
        since_.start();
        double to = time_ + by;
        if (to > duration_) to = 0; // again from the beginning
        set_time(to);
    });
    connect(&source_, &FigureSource::ready, this, [this](const std::shared_ptr<FigureShot>& shot) {
        if (shot->wish.scene != scene_) return; // of a movement that was left
        shot_ = shot;
        ++shown_;
        update();
    });
}

void FigureView::show_movement(const Movement& movement) {
    movement_ = movement;
    right_ = figure_of(movement, std::nullopt);
    faulty_.reset();
    shot_.reset();
    ++scene_;
    duration_ = right_->score().duration();
    set_time(0);
}

void FigureView::show_course(const Movement& whole, std::shared_ptr<const sim::Student> figure) {
    movement_ = whole;
    right_ = std::move(figure);
    faulty_.reset();
    shot_.reset();
    ++scene_;
    duration_ = right_->score().duration();
    set_time(0);
}

void FigureView::show_fault(const std::optional<sim::FaultSpec>& fault) {
    if (!movement_) return;
    const bool linked = !movement_->part_names.empty();
    faulty_ = !fault ? nullptr : linked ? figure_of(right_->score(), fault) : figure_of(*movement_, fault);
    ++scene_;
    ask();
}

void FigureView::show_other(const Movement& movement) {
    faulty_ = figure_of(movement, std::nullopt);
    ++scene_;
    ask();
}

void FigureView::set_azimuth(double degrees) {
    azimuth_ = std::remainder(degrees, 360);
    ask();
    emit turned(azimuth_);
}

double FigureView::clock(double score_s) const {
    return right_ ? right_->time_of(score_s) : 0;
}

void FigureView::set_time(double s) {
    time_ = std::clamp(s, 0.0, duration_);
    ask();
    emit moved(time_);
    update();
}

void FigureView::play(bool on) {
    if (on == timer_.isActive()) return;
    shown_ = 0;
    since_.start();
    if (on)
        timer_.start();
    else
        timer_.stop();
    emit played(on);
}

void FigureView::ask() {
    if (!right_ || !isVisible()) return; // nothing is drawn for a place that is not looked at
    FigureWish w;
    w.right = right_;
    w.faulty = faulty_;
    w.time_s = clock(time_);
    w.azimuth_deg = azimuth_;
    w.width = static_cast<int>((faulty_ ? 0.5 : 1.0) * width());
    w.height = height() - 96;
    w.scene = scene_;
    w.follow = movement_ && !movement_->part_names.empty();
    source_.wish(w);
}

std::pair<int, Side> FigureView::phase() const {
    if (!right_) return {-1, Side::left};
    const auto& key = right_->score().keys()[right_->score().stretch_at(time_)];
    return {key.phase, key.side};
}

int FigureView::part() const {
    return right_ ? right_->score().keys()[right_->score().stretch_at(time_)].repetition : -1;
}

void FigureView::mousePressEvent(QMouseEvent* e) {
    held_ = e->position();
}
void FigureView::mouseMoveEvent(QMouseEvent* e) {
    set_azimuth(azimuth_ + 0.6 * (std::exchange(held_, e->position()).x() - held_.x()));
}

/// Both feet from above, forward up, each as dark as the weight it carries.
void FigureView::paint_feet(QPainter& p, const QRectF& r) const {
    const Pose pose = right_->pose(clock(time_));
    const double weight = right_->score().weight_left(time_);
    const Palette& c = session_.theme.palette;
    p.save();
    p.setClipRect(r);
    const double scale = r.height() / 1.1; // metres in the view, forward
    const bool goes = movement_ && !movement_->part_names.empty();
    const Vec3 from = goes ? Vec3(mid(pose.points, left_ankle)) : Vec3(0, 0, 0.25); // of a form that goes through the room, round its feet
    auto at = [&](const Vec3& v) {
        return QPointF(r.center().x() - (v.x() - from.x()) * scale, r.center().y() + (from.z() - v.z()) * scale);
    };
    for (const Side s : {Side::left, Side::right}) {
        const Vec3 &heel = pose.points[static_cast<std::size_t>(on(s, left_heel))],
                   &toe = pose.points[static_cast<std::size_t>(on(s, left_toe))];
        const bool up = std::min(heel.y(), toe.y()) > 0.004;
        QColor fill = session_.theme.side(s);
        fill.setAlphaF(static_cast<float>(0.12 + 0.88 * (s == Side::left ? weight : 1 - weight)));
        p.setPen(QPen(session_.theme.side(s), 1.5, up ? Qt::DotLine : Qt::SolidLine));
        p.setBrush(up ? QBrush(Qt::NoBrush) : QBrush(fill));
        const QPointF a = at(heel), b = at(toe), along = b - a;
        const double length = std::hypot(along.x(), along.y());
        p.save();
        p.translate(0.5 * (a + b));
        p.rotate(std::atan2(along.y(), along.x()) * 57.29578);
        p.drawRoundedRect(QRectF(-length / 2, -0.19 * length, length, 0.38 * length), 0.18 * length, 0.18 * length);
        p.restore();
    }
    p.setPen(c.faint);
    p.setFont(session_.theme.font(9.5));
    p.drawText(r, Qt::AlignLeft | Qt::AlignBottom, tr("from above"));
    p.restore();
}

/// Where it is in words, its breath, and the phases (of a form, its parts) as a line of steps, as long as they last; the mark is now.
void FigureView::paint_words(QPainter& p, const QRectF& foot) const {
    const Palette& c = session_.theme.palette;
    const double plan = width() < 330 ? 72 : 130, words_at = plan + 22; // beside a list there is little room
    paint_feet(p, QRectF(8, foot.top() + 4, plan, foot.height() - 8));
    const auto [index, side] = phase();
    QString words = movement_->home.seat > 0.5 ? tr("sitting quietly") : tr("standing quietly"), breath;
    if (index >= 0) {
        const auto& ph = movement_->phases[static_cast<std::size_t>(index)];
        const int n = part();
        breath = tr("breath %1").arg(text::breath(ph.breath));
        if (n >= 0 && n < static_cast<int>(movement_->part_names.size())) {
            words = tr("%1. %2 (%3)", "number of a part of a form, its name, the side that leads")
                        .arg(n + 1)
                        .arg(said(movement_->part_names[static_cast<std::size_t>(n)]), text::side(side));
            breath = QStringLiteral("%1 · %2").arg(said(ph.name), breath);
        } else {
            words = movement_->symmetric() ? said(ph.name) : tr("%1 (%2)").arg(said(ph.name), text::side(side));
        }
    }
    p.setPen(c.ink);
    p.setFont(session_.theme.font(12, QFont::DemiBold));
    const QRectF place(words_at, foot.top() + 10, width() - words_at - 8, 26);
    p.drawText(place, Qt::AlignLeft | Qt::AlignVCenter, p.fontMetrics().elidedText(words, Qt::ElideRight, static_cast<int>(place.width())));
    p.setFont(session_.theme.font(10.5));
    p.setPen(c.faint);
    p.drawText(place.translated(0, 24), Qt::AlignLeft | Qt::AlignVCenter,
               p.fontMetrics().elidedText(breath, Qt::ElideRight, static_cast<int>(place.width())));
    const auto& keys = right_->score().keys();
    const QRectF line(words_at, foot.bottom() - 22, width() - words_at - 16, 10);
    auto x = [&](double t) { return line.left() + t / std::max(0.1, duration_) * line.width(); };
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (keys[i].phase < 0) continue;
        QColor fill = session_.theme.side(keys[i].side);
        const bool linked = !movement_->part_names.empty(); // its parts are the steps then
        fill.setAlphaF((linked ? keys[i].repetition : keys[i].phase) % 2 == 0 ? 0.65F : 0.35F);
        const double gap = linked && i + 1 < keys.size() && keys[i + 1].repetition == keys[i].repetition ? 0 : 1;
        p.fillRect(QRectF(QPointF(x(keys[i - 1].time), line.top()), QPointF(x(keys[i].time) - gap, line.bottom())), fill);
    }
    p.setPen(QPen(c.ink, 2));
    p.drawLine(QPointF(x(time_), line.top() - 5), QPointF(x(time_), line.bottom() + 5));
}

void FigureView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    const QRectF figures(0, 0, width(), height() - 96), foot(0, height() - 92, width(), 92);
    p.fillRect(rect(), c.sheet);
    p.fillRect(figures, QColor(0xF3, 0xEE, 0xE4));
    if (shot_) {
        const double each = shot_->faulty.isNull() ? width() : 0.5 * width();
        p.drawImage(QRectF(0, 0, each, figures.height()), shot_->right);
        p.setFont(session_.theme.font(10.5, QFont::DemiBold));
        if (!shot_->faulty.isNull()) {
            p.drawImage(QRectF(each, 0, each, figures.height()), shot_->faulty);
            p.setPen(QPen(c.line, 1));
            p.drawLine(QPointF(each, 0), QPointF(each, figures.height()));
            p.setPen(QColor(0x2E, 0x6B, 0x34));
            p.drawText(QRectF(8, 6, each - 16, 22), Qt::AlignLeft, tr("as it is meant"));
            p.setPen(QColor(0xA0, 0x22, 0x2A));
            p.drawText(QRectF(each + 8, 6, each - 16, 22), Qt::AlignLeft, tr("with the fault"));
        }
    } else {
        p.setPen(c.faint);
        p.drawText(figures, Qt::AlignCenter, tr("The picture is being made …"));
    }
    if (right_ && movement_) paint_words(p, foot);
    p.setPen(c.line);
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace bevel::ui
