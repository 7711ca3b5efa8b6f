// A page for students: how to film a movement so that it can be judged. In large type, made from the movement itself.
#pragma once
#include "core/movement/movement.h"
#include "core/result.h"
#include <QByteArray>
#include <QString>

namespace bevel::ui {

/// One HTML file with its drawing inside.
QString guide_html(const Movement& movement);
Result<QByteArray> guide_pdf(const Movement& movement);

} // namespace bevel::ui
