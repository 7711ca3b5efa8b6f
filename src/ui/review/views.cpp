#include "ui/review/views.h"
#include "ui/paint/compare.h"
#include "ui/paint/hidden.h"
#include <cmath>
#include <QHelpEvent>
#include <QLocale>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <QWheelEvent>

namespace bevel::ui {

std::vector<std::string> lane_keys(const Session& session, const Review& review, Family family) {
    std::vector<std::string> told, untold;
    for (const auto* m : session.catalogue.of(family))
        for (const char* end : {"", ".left", ".right"}) {
            const auto it = review.measures.series.find(m->id.toStdString() + end);
            if (it == review.measures.series.end()) continue;
            (it->second.absent_throughout() ? untold : told).push_back(it->first);
        }
    told.insert(told.end(), untold.begin(), untold.end());
    return told;
}

PictureView::PictureView(const Session& session, ReviewState& state, Shows what, QWidget* parent)
    : QWidget(parent), session_(session), state_(state), what_(what), reference_(what == Shows::reference) {
    setMinimumSize(150, 180);
    setAccessibleName(reference_               ? tr("Reference figure at the same moment")
                      : what == Shows::partner ? tr("The clip beside it at the same moment")
                                               : tr("The student's frame"));
    setToolTip(tr("Wheel or + and − bring it closer, dragging or Shift with the arrows moves it, 0 shows all"));
    setFocusPolicy(Qt::TabFocus);
    connect(&state, &ReviewState::view_changed, this, qOverload<>(&QWidget::update));
    connect(&state, &ReviewState::zoom_changed, this, qOverload<>(&QWidget::update));
}

/// `at` in this view stays where it is.
void PictureView::zoom_by(double times, QPointF at) {
    if (state_.mirrored) at.setX(width() - at.x());
    const QPointF share(at.x() / std::max(1, width()) - 0.5, at.y() / std::max(1, height()) - 0.5);
    const double to = std::clamp(state_.zoom * times, 1.0, ReviewState::most_zoom);
    state_.set_zoom(to, state_.about + share / state_.zoom - share / to);
}

void PictureView::move_by(QPointF pixels) {
    if (state_.mirrored) pixels.setX(-pixels.x());
    state_.set_zoom(state_.zoom,
                    state_.about - QPointF(pixels.x() / std::max(1, width()), pixels.y() / std::max(1, height())) / state_.zoom);
}

void PictureView::wheelEvent(QWheelEvent* e) {
    zoom_by(std::pow(1.0015, e->angleDelta().y()), e->position());
    e->accept();
}

void PictureView::mousePressEvent(QMouseEvent* e) {
    held_ = e->position();
}

void PictureView::mouseMoveEvent(QMouseEvent* e) {
    move_by(e->position() - std::exchange(held_, e->position()));
}

void PictureView::mouseDoubleClickEvent(QMouseEvent*) {
    state_.set_zoom(1, {0.5, 0.5});
}

bool PictureView::event(QEvent* e) {
    // Its own keys come before those of the page while it has the focus.
    if (e->type() == QEvent::ShortcutOverride) {
        const auto* k = static_cast<QKeyEvent*>(e);
        const bool moves = (k->modifiers() & Qt::ShiftModifier) != 0 && k->key() >= Qt::Key_Left && k->key() <= Qt::Key_Down;
        if (moves || k->key() == Qt::Key_Plus || k->key() == Qt::Key_Minus || k->key() == Qt::Key_0) {
            e->accept();
            return true;
        }
    }
    return QWidget::event(e);
}

void PictureView::keyPressEvent(QKeyEvent* e) {
    const double step = 40;
    const bool shift = (e->modifiers() & Qt::ShiftModifier) != 0;
    if (e->key() == Qt::Key_Plus)
        zoom_by(1.25, rect().center());
    else if (e->key() == Qt::Key_Minus)
        zoom_by(0.8, rect().center());
    else if (e->key() == Qt::Key_0)
        state_.set_zoom(1, {0.5, 0.5});
    else if (shift && e->key() == Qt::Key_Left)
        move_by({step, 0});
    else if (shift && e->key() == Qt::Key_Right)
        move_by({-step, 0});
    else if (shift && e->key() == Qt::Key_Up)
        move_by({0, step});
    else if (shift && e->key() == Qt::Key_Down)
        move_by({0, -step});
    else
        QWidget::keyPressEvent(e);
}

void PictureView::show_picture(std::shared_ptr<FramePicture> picture) {
    picture_ = std::move(picture);
    update();
}

void PictureView::now_of(const std::shared_ptr<const OpenReview>& open) {
    if (!picture_) return;
    auto again = std::make_shared<FramePicture>(*picture_);
    again->of = open;
    show_picture(std::move(again));
}

const Track& PictureView::track() const {
    return what_ == Shows::partner && state_.beside ? state_.beside->track : state_.open->track;
}

QRectF PictureView::crop() const {
    const auto& of = what_ == Shows::partner && state_.beside ? state_.beside : state_.open;
    if (crop_of_ != of || crop_for_ != size()) {
        crop_of_ = of;
        crop_for_ = size();
        crop_ = crop_of(track(), static_cast<double>(width()) / std::max(1, height()));
    }
    const double w = crop_.width() / state_.zoom, h = crop_.height() / state_.zoom;
    return {crop_.left() + state_.about.x() * crop_.width() - w / 2, crop_.top() + state_.about.y() * crop_.height() - h / 2, w, h};
}

double PictureView::scale() const {
    return state_.open ? width() * devicePixelRatioF() / std::max(1.0, crop().width()) : 1;
}

bool PictureView::is_current() const {
    return picture_ && state_.open && picture_->of == state_.open && picture_->frame == state_.frame;
}

/// Of the frame that is shown.
QStringList PictureView::captions() const {
    const bool own = picture_ && state_.open && picture_->of == state_.open;
    const std::size_t frame = own ? picture_->frame : state_.frame;
    const double time = state_.open && frame < state_.frames() ? state_.open->track.time_s[frame] : 0;
    const bool found = state_.open && frame < state_.frames() && state_.open->track.px[frame];
    QStringList captions;
    if (reference_) {
        captions << tr("Reference");
        const double ref = frame < state_.reference_s.size() ? state_.reference_s[frame] : NAN;
        const auto* rep = state_.repetition_of(frame);
        if (rep && std::isfinite(ref)) {
            const double apart = (time - rep->start_s) - (ref - rep->reference_s.front());
            captions << (std::abs(apart) < 0.15 ? tr("in time with the student")
                         : apart > 0            ? tr("student %1 s behind").arg(QLocale().toString(apart, 'f', 1))
                                                : tr("student %1 s ahead").arg(QLocale().toString(-apart, 'f', 1)));
        } else {
            captions << tr("between repetitions");
        }
    } else if (what_ == Shows::partner) {
        if (own && state_.beside) {
            const auto& other = *state_.beside;
            if (state_.shows_model()) captions << (state_.beside_hidden ? tr("as it is meant") : QString::fromStdString(other.person.name));
            captions << text::time(other.track.time_s[std::min(picture_->partner_frame, other.track.frames() - 1)])
                     << text::view(other.review->motion.view);
            if (!other.track.px[std::min(picture_->partner_frame, other.track.frames() - 1)]) captions << tr("body not found here");
        }
    } else {
        captions << (state_.open ? text::time(time) : tr("No review is open"));
        if (state_.open) {
            const auto* rep = state_.repetition_of(frame);
            for (std::size_t i = 0; rep && i < rep->phases.size(); ++i) {
                if (time < rep->phases[i].start_s || time >= rep->phases[i].end_s) continue;
                const auto& ph = state_.open->review->movement.phases[rep->phases[i].index];
                captions << said(ph.name) << tr("breath %1").arg(text::breath(ph.breath));
            }
        }
        if (state_.open && !found) captions << tr("body not found here");
    }
    if (state_.mirrored) captions << tr("mirrored");
    if (what_ == Shows::student && state_.laid_over) captions << tr("reference laid over");
    return captions;
}

QList<SpokenPart> PictureView::spoken() const {
    return {{accessibleName(), captions().join(QStringLiteral(", ")), rect()}};
}

/// The reference over the student, and the fault that is pointed at where this is its moment.
void PictureView::draw_meant(QPainter& p, const BodyPx& body, std::size_t frame, const std::function<QPointF(double, double)>& to,
                             double line) const {
    // The figure comes on a thread of its own: a frame or two behind while the clip plays.
    constexpr std::size_t late = 2;
    const auto& now = state_.reference_body;
    if (!now || (now->first > frame ? now->first - frame : frame - now->first) > late || !state_.repetition_of(frame)) return;
    const BodyPx meant = laid_over(now->second, body, state_.planted(frame));
    if (state_.laid_over) draw_laid_over(p, meant, to, session_.theme, line);
    constexpr double moment_s = 0.25;
    const auto& f = state_.pointed;
    if (!f || f->of_clip != 0 || std::abs(state_.open->track.time_s[frame] - f->time_s) > moment_s) return;
    const auto* info = session_.catalogue.find(QString::fromStdString(f->measure));
    if (info) draw_compared(p, compare(body, meant, info->line, f->side.value_or(state_.planted(frame))), to, session_.theme, line);
}

void PictureView::paint_picture(QPainter& p, const QRectF& r, const QImage& image) const {
    const Track& track = this->track();
    QRectF crop = this->crop();
    const std::size_t frame = what_ == Shows::partner ? picture_->partner_frame : picture_->frame;
    const BodyPx* body = reference_ ? &picture_->points : frame < track.px.size() && track.px[frame] ? &*track.px[frame] : nullptr;
    if (reference_ && body) {
        // The figure stands where the student stands: feet at the same place of the crop.
        const auto& px = track.px[std::min(picture_->frame, track.px.size() - 1)];
        double dx = 0.5 * ((*body)[left_ankle].x + (*body)[right_ankle].x) - crop.center().x();
        if (px) dx = 0.5 * ((*body)[left_ankle].x + (*body)[right_ankle].x) - 0.5 * ((*px)[left_ankle].x + (*px)[right_ankle].x);
        crop.translate(std::clamp(dx, -0.3 * crop.width(), 0.3 * crop.width()), 0);
    }
    const double k = r.width() / crop.width(), line = r.width() / std::max(1, width());
    p.save();
    p.setClipRect(r);
    if (state_.mirrored) {
        p.translate(r.right() + r.left(), 0);
        p.scale(-1, 1);
    }
    if (reference_) p.fillRect(r, QColor(0xF3, 0xEE, 0xE4));
    const double size = k / picture_->scale;
    p.drawImage(QRectF(r.left() - crop.left() * k, r.top() - crop.top() * k, image.width() * size, image.height() * size), image);
    if (body) {
        const double roll = reference_ ? 0 : track.vertical.value_or(VerticalOnPicture{}).roll;
        const auto to = [&](double x, double y) { return QPointF(r.left() + (x - crop.left()) * k, r.top() + (y - crop.top()) * k); };
        draw_body(p, *body, state_.family, to, session_.theme, 1.6 * line, roll);
        if (what_ == Shows::student) draw_meant(p, *body, frame, to, 1.2 * line);
    }
    p.restore();
}

QImage PictureView::still(bool hide, double wide) const {
    if (!is_current() || picture_->image.isNull()) return {};
    QImage image = picture_->image;
    if (hide) {
        const auto& px = track().px;
        if (picture_->frame >= px.size() || !px[picture_->frame] || !hide_person(image, *px[picture_->frame])) return {};
    }
    QImage out(static_cast<int>(wide), static_cast<int>(wide * height() / std::max(1, width())), QImage::Format_RGB32);
    out.fill(session_.theme.palette.sheet);
    QPainter p(&out);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    paint_picture(p, QRectF(out.rect()), image);
    return out;
}

void PictureView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const Palette& c = session_.theme.palette;
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const QRectF r = QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5);
    p.fillRect(r, c.sheet);
    // A picture of another clip is never shown, not even until the first of this one is there.
    const bool own = picture_ && state_.open && picture_->of == state_.open;
    if (own && !picture_->image.isNull()) {
        paint_picture(p, r, picture_->image);
    } else if (state_.open) {
        p.setPen(c.faint);
        p.setFont(session_.theme.font(10.5));
        p.drawText(r, Qt::AlignCenter, own ? tr("This frame cannot be shown.") : tr("The picture is being made …"));
    }
    p.setFont(session_.theme.font(10.5, QFont::DemiBold));
    const QString caption = captions().join(QStringLiteral(" · "));
    const QRectF tag(r.left(), r.top(), std::min(r.width(), QFontMetricsF(p.font()).horizontalAdvance(caption) + 20), 24);
    QColor veil = c.sheet;
    veil.setAlphaF(0.86F);
    p.fillRect(tag, veil);
    p.setPen(c.ink);
    p.drawText(tag, Qt::AlignCenter, QFontMetricsF(p.font()).elidedText(caption, Qt::ElideRight, tag.width() - 12));
    p.setPen(hasFocus() ? QPen(c.focus, 2) : QPen(c.line, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(hasFocus() ? r.adjusted(1, 1, -1, -1) : r);
}

ColumnView::ColumnView(const Session& session, ReviewState& state, QWidget* parent) : QWidget(parent), session_(session), state_(state) {
    setFixedWidth(session_.theme.wide(132));
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("column"));
    setAccessibleName(tr("From the ground up"));
    setAccessibleDescription(tr("Feet at the bottom, breath and tempo on top; keys 1 to 8 count from the ground"));
    auto changed = [this] {
        update();
        announce(this);
    };
    connect(&state, &ReviewState::frame_changed, this, changed);
    connect(&state, &ReviewState::view_changed, this, changed);
}

QRectF ColumnView::box(int family) const {
    const double h = (height() - 1.0) / family_count;
    return {0.5, height() - 0.5 - (family + 1) * h, width() - 1.0, h - 5};
}

QList<SpokenPart> ColumnView::spoken() const {
    QList<SpokenPart> out;
    for (int i = 0; i < family_count; ++i) {
        const auto v = state_.verdict_of(static_cast<Family>(i));
        out << SpokenPart{text::family(static_cast<Family>(i)), v ? text::verdict(v->verdict) : tr("no check"), box(i).toRect()};
    }
    return out;
}

void ColumnView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    for (int i = 0; i < family_count; ++i) {
        const auto f = static_cast<Family>(i);
        const QRectF r = box(i);
        const bool chosen = state_.family == f;
        p.setPen(QPen(chosen ? (hasFocus() ? c.focus : c.accent) : c.line, chosen ? 2 : 1));
        p.setBrush(chosen ? c.sheet : c.paper);
        p.drawRoundedRect(r, 6, 6);
        const double m = 22;
        if (const auto v = state_.verdict_of(f))
            draw_mark(p, QRectF(r.left() + 10, r.center().y() - m / 2, m, m), v->verdict, session_.theme, v->size, v->towards);
        p.setPen(c.ink);
        p.setFont(session_.theme.font(10.5, chosen ? QFont::DemiBold : QFont::Normal));
        p.drawText(r.adjusted(40, 0, -16, 0), Qt::AlignVCenter | Qt::AlignLeft | Qt::TextWordWrap, text::family(f));
        p.setPen(c.faint);
        p.setFont(session_.theme.font(10.5));
        p.drawText(r.adjusted(0, 4, -7, 0), Qt::AlignRight | Qt::AlignTop, QString::number(i + 1));
    }
}

void ColumnView::mousePressEvent(QMouseEvent* e) {
    for (int i = 0; i < family_count; ++i)
        if (box(i).contains(e->position())) state_.choose_part(static_cast<Family>(i));
}

void ColumnView::keyPressEvent(QKeyEvent* e) {
    const int now = static_cast<int>(state_.family);
    if (e->key() == Qt::Key_Up && now + 1 < family_count)
        state_.choose_part(static_cast<Family>(now + 1));
    else if (e->key() == Qt::Key_Down && now > 0)
        state_.choose_part(static_cast<Family>(now - 1));
    else
        QWidget::keyPressEvent(e);
}

bool ColumnView::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(e);
        for (int i = 0; i < family_count; ++i)
            if (box(i).contains(help->pos())) {
                const auto v = state_.verdict_of(static_cast<Family>(i));
                const QString name = text::family(static_cast<Family>(i));
                QToolTip::showText(help->globalPos(),
                                   v ? tr("%1: %2 in this repetition").arg(name, text::verdict(v->verdict))
                                     : tr("%1: this movement has no check here").arg(name),
                                   this);
            }
        return true;
    }
    return QWidget::event(e);
}

TimeView::TimeView(const Session& session, ReviewState& state, QWidget* parent) : QWidget(parent), session_(session), state_(state) {
    setMinimumHeight(230);
    setAccessibleName(tr("Weight tide and lanes"));
    setFocusPolicy(Qt::TabFocus);
    connect(&state, &ReviewState::frame_changed, this, [this] {
        if (state_.one_repetition && state_.repetition() != shown_repetition_) rebuild();
        update();
        announce(this);
    });
    connect(&state, &ReviewState::view_changed, this, &TimeView::rebuild);
}

QRectF TimeView::time_area() const {
    return {128, 0, width() - 129.0, static_cast<double>(height())};
}

void TimeView::rebuild() {
    lanes_.clear();
    still_ = QPixmap();
    if (state_.open) {
        const Review& r = *state_.open->review;
        map_ = state_.by_movement ? TimeMapper::movement(r) : TimeMapper::clock(0, r.measures.time_s.back());
        shown_repetition_ = state_.repetition();
        if (state_.one_repetition && shown_repetition_ >= 0) {
            const auto& rep = r.alignment.repetitions[static_cast<std::size_t>(shown_repetition_)];
            const double room = 0.03 * (rep.end_s - rep.start_s);
            map_ = map_.zoomed(std::max(0.0, rep.start_s - room), std::min(r.measures.time_s.back(), rep.end_s + room));
        }
        const auto keys = lane_keys(session_, r, state_.family);
        for (const auto& key : keys) {
            if (lanes_.size() >= 4) break;
            const auto& s = r.measures.series.at(key);
            if (s.absent_throughout() && lanes_.size() >= 2) continue;
            Lane lane;
            lane.title = session_.catalogue.name(QString::fromStdString(s.id));
            lane.unit = QString::fromStdString(s.unit);
            lane.units = state_.units;
            lane.series = &s;
            lane.side = s.side;
            lane.reference = r.reference->measures().find(s.id, s.side);
            for (const auto& k : r.movement.checks)
                if (k.measure == s.id || k.measure == "weight.lead") lane.checks.push_back(&k);
            lanes_.push_back(lane);
        }
    }
    update();
}

void TimeView::resizeEvent(QResizeEvent*) {
    still_ = QPixmap();
}

/// Values at the cursor: the tide first, then each lane.
QList<SpokenPart> TimeView::spoken() const {
    QList<SpokenPart> out;
    if (!state_.open) return out;
    auto value = [&](const MeasureSeries& s) {
        const Sample& v = s.samples[std::min(state_.shown(), s.samples.size() - 1)];
        return v.present() ? text::with_sigma(v.value, v.sigma, QString::fromStdString(s.unit), state_.units) : text::absent(v.absent);
    };
    const double tide = std::max(66.0, height() * 0.26);
    if (const auto* w = state_.open->review->measures.find("weight.left"))
        out << SpokenPart{session_.catalogue.name(QStringLiteral("weight.left")), value(*w), QRectF(0, 34, width(), tide).toRect()};
    for (std::size_t i = 0; i < lanes_.size(); ++i) {
        const auto& l = lanes_[i];
        out << SpokenPart{l.side ? tr("%1, %2").arg(l.title, text::side(*l.side)) : l.title, value(*l.series),
                          i < lane_places_.size() ? lane_places_[i] : rect()};
    }
    return out;
}

void TimeView::draw_still(QPainter& p) {
    lane_places_.clear();
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.paper);
    if (!state_.open) return;
    const Review& r = *state_.open->review;
    const QRectF area = time_area();
    const double ruler = 34, tide = std::max(66.0, height() * 0.26);
    draw_ruler(p, QRectF(area.left(), 0, area.width(), ruler), r, map_, session_.theme);
    const QRectF tide_rect(area.left(), ruler, area.width(), tide);
    draw_tide(p, tide_rect, r, state_.reference_s, map_, session_.theme);
    auto label = [&](const QRectF& at, const QString& title, const QString& below, const QColor& colour) {
        p.setPen(c.ink);
        p.setFont(session_.theme.font(10.5, QFont::DemiBold));
        const QRectF left(2, at.top(), 120, at.height());
        p.drawText(left, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, title);
        const double used = p.boundingRect(left, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, title).height();
        p.setPen(colour);
        p.setFont(session_.theme.font(10.5));
        p.drawText(left.adjusted(0, used, 0, 0), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, below);
    };
    label(tide_rect, tr("Weight"), r.motion.has_x ? tr("share of each foot") : tr("share, feet apart lengthwise"), c.faint);
    double y = ruler + tide + 6;
    if (state_.family == Family::tempo) {
        const QRectF at(area.left(), y, area.width(), height() - y - 1);
        draw_tempo(p, at, r, map_, session_.theme);
        label(at, tr("Phases"), tr("up: longer than in the reference, down: shorter, as parts of the repetition"), c.faint);
        return;
    }
    if (lanes_.empty()) {
        label(QRectF(area.left(), y, area.width(), 60), text::family(state_.family), tr("no course in time; see the findings"), c.faint);
        return;
    }
    // A lane that this view cannot fill needs no more than a line to say so.
    const double strip = 42;
    double told = 0;
    for (const auto& lane : lanes_) told += lane.series->absent_throughout() ? 0 : 1;
    const double left = height() - y - 1 - (static_cast<double>(lanes_.size()) - told) * (strip + 5);
    const double h = std::min(told > 0 ? left / told - 5 : 0.0, 220.0);
    for (const auto& lane : lanes_) {
        const QRectF at(area.left(), y, area.width(), lane.series->absent_throughout() ? strip : h);
        draw_lane(p, at, lane, r, state_.reference_s, map_, session_.theme);
        const QColor colour = lane.side ? session_.theme.side(*lane.side) : c.faint;
        const bool low = at.height() < 50;
        label(at, low && lane.side ? tr("%1, %2").arg(lane.title, text::side(*lane.side)) : lane.title,
              lane.side && !low ? text::side(*lane.side) : QString(), colour);
        lane_places_.push_back(QRectF(0, at.top(), width(), at.height()).toRect());
        y += at.height() + 5;
    }
}

void TimeView::paintEvent(QPaintEvent*) {
    if (still_.isNull()) {
        still_ = QPixmap(size() * devicePixelRatioF());
        still_.setDevicePixelRatio(devicePixelRatioF());
        QPainter sp(&still_);
        draw_still(sp);
    }
    QPainter p(this);
    p.drawPixmap(0, 0, still_);
    if (!state_.open) return;
    const double x = map_.x(state_.time(), time_area());
    if (x < time_area().left() || x > time_area().right() + 1) return;
    p.setPen(QPen(session_.theme.palette.focus, 1.6));
    p.drawLine(QPointF(x, 17), QPointF(x, height()));
    if (hasFocus()) {
        p.setPen(QPen(session_.theme.palette.focus, 2));
        p.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

void TimeView::mousePressEvent(QMouseEvent* e) {
    const QRectF a = time_area();
    if (state_.open) state_.set_time(map_.time((e->position().x() - a.left()) / a.width()));
}
void TimeView::mouseMoveEvent(QMouseEvent* e) {
    mousePressEvent(e);
}

FloorView::FloorView(const Session& session, ReviewState& state, QWidget* parent) : QWidget(parent), session_(session), state_(state) {
    setMinimumSize(150, 120);
    setAccessibleName(tr("Floor plan"));
    setFocusPolicy(Qt::TabFocus);
    connect(&state, &ReviewState::frame_changed, this, [this] {
        update();
        announce(this);
    });
}

QList<SpokenPart> FloorView::spoken() const {
    QList<SpokenPart> out;
    if (!state_.open) return out;
    const Measures& m = state_.open->review->measures;
    for (const Side s : {Side::left, Side::right}) {
        const auto f = state_.shown();
        if (f >= m.contact[static_cast<std::size_t>(s)].size()) continue;
        QString how;
        switch (m.contact[static_cast<std::size_t>(s)][f]) {
        case Contact::flat:
            how = tr("flat on the floor");
            break;
        case Contact::heel:
            how = tr("on the heel");
            break;
        case Contact::toe:
            how = tr("on the toes");
            break;
        case Contact::off:
            how = tr("off the floor");
            break;
        }
        const int half = width() / 2;
        out << SpokenPart{tr("%1 foot").arg(text::side(s)), how, QRect(s == Side::left ? 0 : half, 0, half, height())};
    }
    return out;
}

void FloorView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    if (state_.open)
        draw_floor_plan(p, QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), *state_.open->review, state_.shown(), session_.theme);
    if (hasFocus()) {
        p.setPen(QPen(session_.theme.palette.focus, 2));
        p.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

} // namespace bevel::ui
