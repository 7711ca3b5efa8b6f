// Threads over weeks, drawn: for the window's table and for paper.
#pragma once
#include "core/practice/course.h"
#include "ui/paint/theme.h"
#include <QImage>
#include <QStringList>

namespace bevel::ui {

/// A thread's week in `cell`: its line, whole where something is done and dotted where it rests, with the mark on it. Begins: a full
/// triangle; grows: an empty one; returns: a dot; from memory: a ring.
void draw_beat(QPainter& p, const QRectF& cell, const CourseThread& thread, std::size_t week, const Palette& colours);
/// The mark alone, in the middle of `cell`.
void draw_beat_mark(QPainter& p, const QRectF& cell, Beat beat, const Palette& colours);
/// Of a week, in its cell: lighter, recall, missed in a word; a clip that is asked for (a frame of film) or looked at (an eye).
void draw_week(QPainter& p, const QRectF& cell, const CourseWeek& week, const Palette& colours);
/// The ground of a week's column: hatched where it was missed, tinted in a lighter or recall week.
void draw_week_ground(QPainter& p, const QRectF& cell, const CourseWeek& week, bool now, const Palette& colours);

/// The whole chart, so many pixels wide. `titles`: of the threads, in their order.
QImage course_chart(const Course& course, const QStringList& titles, const Theme& theme, int wide);

} // namespace bevel::ui
