// A lesson on paper: for whoever leads it, with names and what each does instead; a list for the hall to tick.
#pragma once
#include "core/result.h"
#include "desk/classes.h"
#include "ui/text/text.h"
#include <QByteArray>

namespace bevel::ui {

/// What the leader holds: the plan, and beside each item who does what instead. It names limits of people.
QString leader_html(const ClassSheet& sheet, const Lesson& lesson, const Plan& plan, const std::vector<Movement>& movements,
                    const Catalogue& catalogue);
/// What hangs in the hall: the plan, and "or" in place of names.
/// The class on paper, for whoever takes it over: who belongs to it and what each may not do, the next weeks of its course, its last
/// lessons, what is common. It names people and their limits.
QString class_html(const ClassSheet& sheet, const std::string& today, const Forms& forms, const Catalogue& catalogue,
                   const std::vector<CommonFault>& common);
QString wall_html(const Plan& plan, const std::vector<Movement>& movements);
Result<QByteArray> lesson_pdf(const QString& title, const QString& html);

} // namespace bevel::ui
