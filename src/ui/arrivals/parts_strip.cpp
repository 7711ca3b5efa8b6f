#include "ui/arrivals/parts_strip.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace bevel::ui {

PartsStrip::PartsStrip(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("strip"));
    setAccessibleName(tr("The clip and its parts"));
    setAccessibleDescription(tr("Left and Right move along the clip, with Shift by a second; Up and Down choose a part"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setMinimumHeight(session_.theme.wide(120));
    pictures_.resize(thumbnails);
}

void PartsStrip::show_clip(double duration_s) {
    duration_ = duration_s;
    update();
}

void PartsStrip::set_thumbnail(int index, const QImage& picture) {
    if (index >= 0 && index < thumbnails) pictures_[static_cast<std::size_t>(index)] = picture;
    update();
}

void PartsStrip::set_parts(const std::vector<StripPart>& parts, int chosen) {
    parts_ = parts;
    chosen_ = parts.empty() ? -1 : std::clamp(chosen, 0, static_cast<int>(parts.size()) - 1);
    QStringList words;
    for (const auto& p : parts_) words << text::span(p.from_s, p.to_s);
    setAccessibleDescription(tr("Parts: %1").arg(words.join(QStringLiteral(", "))));
    update();
    emit chosen_changed(chosen_);
}

QRectF PartsStrip::strip() const {
    return QRectF(rect()).adjusted(10, 26, -10, -26);
}
double PartsStrip::x_of(double t) const {
    const QRectF r = strip();
    return r.left() + (duration_ > 0 ? t / duration_ : 0) * r.width();
}
double PartsStrip::time_at(double x) const {
    const QRectF r = strip();
    return std::clamp((x - r.left()) / std::max(1.0, r.width()), 0.0, 1.0) * duration_;
}

void PartsStrip::set_at(double t) {
    at_ = std::clamp(t, 0.0, duration_);
    update();
    emit moved_to(at_);
}

std::optional<std::pair<int, bool>> PartsStrip::edge_at(double x) const {
    std::optional<std::pair<int, bool>> best;
    double near = 7;
    for (std::size_t i = 0; i < parts_.size(); ++i)
        for (const bool end : {false, true}) {
            const double d = std::abs(x_of(end ? parts_[i].to_s : parts_[i].from_s) - x);
            // Where two parts meet, the side on which the mouse is.
            if (d < near || (d == near && end == (x < x_of(end ? parts_[i].to_s : parts_[i].from_s))))
                near = d, best = {static_cast<int>(i), end};
        }
    return best;
}

void PartsStrip::mousePressEvent(QMouseEvent* e) {
    dragged_ = edge_at(e->position().x());
    before_ = parts_;
    const double t = time_at(e->position().x());
    if (!dragged_) {
        for (std::size_t i = 0; i < parts_.size(); ++i)
            if (t >= parts_[i].from_s && t <= parts_[i].to_s && chosen_ != static_cast<int>(i)) {
                chosen_ = static_cast<int>(i);
                emit chosen_changed(chosen_);
            }
    } else {
        chosen_ = dragged_->first;
        emit chosen_changed(chosen_);
    }
    set_at(t);
}

void PartsStrip::mouseMoveEvent(QMouseEvent* e) {
    if (e->buttons() == Qt::NoButton) return setCursor(edge_at(e->position().x()) ? Qt::SizeHorCursor : Qt::ArrowCursor);
    const double t = time_at(e->position().x());
    if (dragged_) {
        const auto [i, end] = *dragged_;
        auto& p = parts_[static_cast<std::size_t>(i)];
        const double left = i > 0 ? parts_[static_cast<std::size_t>(i) - 1].to_s : 0,
                     right = i + 1 < static_cast<int>(parts_.size()) ? parts_[static_cast<std::size_t>(i) + 1].from_s : duration_;
        if (end)
            p.to_s = std::clamp(t, p.from_s + 1, std::max(p.from_s + 1, right));
        else
            p.from_s = std::clamp(t, std::min(left, p.to_s - 1), p.to_s - 1);
    }
    set_at(t);
}

void PartsStrip::mouseReleaseEvent(QMouseEvent*) {
    if (dragged_ && parts_ != before_) {
        const auto now = std::exchange(parts_, before_);
        emit asked(now, chosen_);
    }
    dragged_.reset();
}

void PartsStrip::keyPressEvent(QKeyEvent* e) {
    const double step = (e->modifiers() & Qt::ShiftModifier) != 0 ? 1 : 0.1;
    if (e->key() == Qt::Key_Left) return set_at(at_ - step);
    if (e->key() == Qt::Key_Right) return set_at(at_ + step);
    if ((e->key() == Qt::Key_Up || e->key() == Qt::Key_Down) && !parts_.empty()) {
        const int to = std::clamp(chosen_ + (e->key() == Qt::Key_Up ? -1 : 1), 0, static_cast<int>(parts_.size()) - 1);
        chosen_ = to;
        emit chosen_changed(to);
        return set_at(parts_[static_cast<std::size_t>(to)].from_s);
    }
    QWidget::keyPressEvent(e);
}

void PartsStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    const QRectF r = strip();
    p.setFont(session_.theme.font(9.5));
    const double each = r.width() / thumbnails;
    for (int i = 0; i < thumbnails; ++i) {
        const QRectF cell(r.left() + i * each, r.top(), each, r.height());
        p.fillRect(cell, c.paper);
        const QImage& im = pictures_[static_cast<std::size_t>(i)];
        if (im.isNull()) continue;
        // Filled: the middle of the picture, where the student is.
        const double k = std::max(cell.width() / im.width(), cell.height() / im.height());
        const QSizeF part(cell.width() / k, cell.height() / k);
        p.drawImage(cell, im, QRectF(QPointF((im.width() - part.width()) / 2, (im.height() - part.height()) / 2), part));
    }
    // What is in no part is veiled.
    QColor veil = c.sheet;
    veil.setAlphaF(0.78F);
    double last = 0;
    for (std::size_t i = 0; i <= parts_.size(); ++i) {
        const double to = i < parts_.size() ? parts_[i].from_s : duration_;
        if (to > last) p.fillRect(QRectF(QPointF(x_of(last), r.top()), QPointF(x_of(to), r.bottom())), veil);
        if (i < parts_.size()) last = parts_[i].to_s;
    }
    for (std::size_t i = 0; i < parts_.size(); ++i) {
        const auto& part = parts_[i];
        const QRectF box(QPointF(x_of(part.from_s), r.top()), QPointF(x_of(part.to_s), r.bottom()));
        const bool chosen = static_cast<int>(i) == chosen_;
        p.setPen(QPen(chosen ? c.accent : c.line, chosen ? 3 : 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(box);
        const auto m = session_.movement(part.movement);
        const auto who = std::find_if(people_.begin(), people_.end(), [&](const Person& x) { return x.id == part.person; });
        QString label = m ? said(m->name) : tr("as the clip shows");
        if (who != people_.end()) label = QString::fromStdString(who->name) + QStringLiteral(" · ") + label;
        p.setPen(chosen ? c.accent : c.ink);
        p.drawText(QRectF(box.left() + 2, 4, std::max(20.0, box.width() - 4), 20), Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(tr("%1  %2").arg(i + 1).arg(label), Qt::ElideRight, static_cast<int>(box.width()) - 6));
        p.setPen(c.faint);
        p.drawText(QRectF(box.left() + 2, r.bottom() + 4, std::max(20.0, box.width() - 4), 18), Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(text::span(part.from_s, part.to_s), Qt::ElideRight, static_cast<int>(box.width()) - 6));
    }
    p.setPen(QPen(c.focus, 2));
    p.drawLine(QPointF(x_of(at_), r.top() - 6), QPointF(x_of(at_), r.bottom() + 6));
    if (hasFocus()) {
        p.setPen(QPen(c.focus, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

} // namespace bevel::ui
