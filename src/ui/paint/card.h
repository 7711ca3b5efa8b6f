// A movement on a sheet of paper: its figure at the end of each phase with the feet from above, what is done, the breath, points of
// attention, cautions. For students, made from the movement itself.
#pragma once
#include "core/form/form.h"
#include "core/movement/movement.h"
#include "core/result.h"
#include "core/sim/film.h"
#include <QByteArray>
#include <QImage>

namespace bevel::ui {

/// Of each phase of a repetition on the left (of a piece of a form, of each of its parts): the picture of the figure as the phase ends, the
/// feet from above below it.
std::vector<QImage> phase_pictures(const Movement& movement, int width, int height);

/// One HTML file with its pictures inside.
QString card_html(const Movement& movement);
Result<QByteArray> card_pdf(const Movement& movement);
/// The same of a linked form: each part once, in its order, the way it is faced there. As one HTML file or as PDF; the error is that of
/// linking it.
Result<QByteArray> form_card(const LinkedForm& form, std::span<const Movement> movements, bool html);

} // namespace bevel::ui
