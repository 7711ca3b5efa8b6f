#include "ui/paint/course_chart.h"
#include "ui/text/course_words.h"
#include "ui/text/text.h"
#include <algorithm>
#include <QPainterPath>

namespace bevel::ui {
namespace {

bool is_done(Beat b) {
    return b != Beat::not_yet && b != Beat::rests;
}
/// Whether the thread has begun and is not over: anything is done in this week or before, and in this one or after.
bool is_under_way(const CourseThread& t, std::size_t week) {
    const auto at = t.beats.begin() + static_cast<std::ptrdiff_t>(week);
    return (t.known || std::any_of(t.beats.begin(), at + 1, is_done)) && std::any_of(at, t.beats.end(), is_done);
}

} // namespace

void draw_beat_mark(QPainter& p, const QRectF& cell, Beat beat, const Palette& c) {
    const QPointF at = cell.center();
    const double r = std::min({7.0, 0.3 * cell.width(), 0.32 * cell.height()});
    p.setPen(QPen(c.ink, 1.5));
    p.setBrush(c.ink);
    switch (beat) {
    case Beat::begins:
    case Beat::grows:
        if (beat == Beat::grows) p.setBrush(c.sheet);
        p.drawPolygon(QPolygonF({at + QPointF(0, -r), at + QPointF(r, 0.75 * r), at + QPointF(-r, 0.75 * r)}));
        break;
    case Beat::returns:
        p.drawEllipse(at, 0.5 * r, 0.5 * r);
        break;
    case Beat::recalled:
        p.setBrush(c.sheet);
        p.drawEllipse(at, 0.65 * r, 0.65 * r);
        break;
    case Beat::not_yet:
    case Beat::rests:
        break;
    }
}

void draw_beat(QPainter& p, const QRectF& cell, const CourseThread& t, std::size_t week, const Palette& c) {
    if (week >= t.beats.size()) return;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    if (is_under_way(t, week)) {
        const bool first = !t.known && std::none_of(t.beats.begin(), t.beats.begin() + static_cast<std::ptrdiff_t>(week), is_done);
        const bool last = std::none_of(t.beats.begin() + static_cast<std::ptrdiff_t>(week) + 1, t.beats.end(), is_done);
        const double y = cell.center().y();
        p.setPen(QPen(is_done(t.beats[week]) ? c.ink : c.faint, 1.3, is_done(t.beats[week]) ? Qt::SolidLine : Qt::DotLine));
        p.drawLine(QPointF(first ? cell.center().x() : cell.left(), y), QPointF(last ? cell.center().x() : cell.right(), y));
    }
    draw_beat_mark(p, cell, t.beats[week], c);
    p.restore();
}

void draw_week_ground(QPainter& p, const QRectF& cell, const CourseWeek& w, bool now, const Palette& c) {
    if (w.kind != WeekKind::plain) p.fillRect(cell, c.paper);
    if (now) p.fillRect(cell, c.band);
    if (w.missed) p.fillRect(cell, QBrush(c.line, Qt::BDiagPattern));
}

void draw_week(QPainter& p, const QRectF& cell, const CourseWeek& w, const Palette& c) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(c.ink);
    const QString word = text::week_short(w);
    const QRectF top(cell.left(), cell.top() + 2, cell.width(), 0.5 * cell.height() - 2);
    p.drawText(top, Qt::AlignCenter, p.fontMetrics().elidedText(word, Qt::ElideRight, static_cast<int>(cell.width()) - 2));
    const double y = cell.top() + 0.74 * cell.height(), s = 5.5;
    const double shift = w.clip_asked && w.clip_looked ? 9 : 0;
    p.setPen(QPen(c.ink, 1.2));
    if (w.clip_looked && !w.missed) { // an eye
        const QPointF at(cell.center().x() - shift, y);
        QPainterPath lid;
        lid.moveTo(at + QPointF(-1.3 * s, 0));
        lid.quadTo(at + QPointF(0, -1.5 * s), at + QPointF(1.3 * s, 0));
        lid.quadTo(at + QPointF(0, 1.5 * s), at + QPointF(-1.3 * s, 0));
        p.setBrush(Qt::NoBrush);
        p.drawPath(lid);
        p.setBrush(c.ink);
        p.drawEllipse(at, 2, 2);
    }
    if (w.clip_asked && !w.missed) { // a frame of film
        const QRectF frame(cell.center().x() + shift - s, y - 0.8 * s, 2 * s, 1.6 * s);
        p.setBrush(Qt::NoBrush);
        p.drawRect(frame);
        p.setBrush(c.ink);
        for (const double k : {-0.55, 0.0, 0.55})
            for (const double end : {frame.top() + 1.6, frame.bottom() - 1.6})
                p.drawRect(QRectF(frame.center().x() + k * 1.4 * s - 0.5, end - 0.5, 1, 1));
    }
    p.restore();
}

QImage course_chart(const Course& course, const QStringList& titles, const Theme& theme, int wide) {
    const auto weeks = course.weeks.size();
    const int head = 46, info = 46, row = 30;
    const double scale = 2; // for paper
    const double names = 0.3 * wide, cell = (wide - names) / static_cast<double>(std::max<std::size_t>(1, weeks));
    const int tall = head + info + row * static_cast<int>(course.threads.size());
    QImage image(static_cast<int>(scale * wide), static_cast<int>(scale * tall), QImage::Format_RGB32);
    image.fill(Qt::white);
    const Palette c = Palette::light();
    QPainter p(&image);
    p.scale(scale, scale);
    p.setFont(theme.font(10));
    for (std::size_t w = 0; w < weeks; ++w) {
        const double x = names + static_cast<double>(w) * cell;
        const QRectF column(x, 0, cell, tall);
        draw_week_ground(p, column, course.weeks[w], false, c);
        p.setPen(c.ink);
        p.drawText(QRectF(x, 0, cell, head), Qt::AlignCenter, text::week_head(w, course.weeks[w]));
        draw_week(p, QRectF(x, head, cell, info), course.weeks[w], c);
        p.setPen(c.line);
        p.drawLine(QPointF(x, 0), QPointF(x, tall));
    }
    for (std::size_t i = 0; i < course.threads.size(); ++i) {
        const double y = head + info + row * static_cast<double>(i);
        p.setPen(c.line);
        p.drawLine(QPointF(0, y), QPointF(wide, y));
        p.setPen(c.ink);
        p.drawText(QRectF(0, y, names - 8, row), Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(titles.value(static_cast<int>(i)), Qt::ElideRight, static_cast<int>(names) - 10));
        for (std::size_t w = 0; w < weeks; ++w)
            draw_beat(p, QRectF(names + static_cast<double>(w) * cell, y, cell, row), course.threads[i], w, c);
    }
    return image;
}

} // namespace bevel::ui
