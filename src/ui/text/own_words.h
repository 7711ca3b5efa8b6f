// What is right for one person, in words and units.
#pragma once
#include "ui/text/text.h"

namespace bevel::ui::text {

/// "head 2.1 ± 0.6 cm ahead of the shoulders": a figure of somebody of that height.
QString own_figure(OwnPart part, const OwnFigure& figure, double stature_m, const Units& units);
QStringList own_figures(const OwnFigures& figures, double stature_m, const Units& units);
/// "sinks to 22 % below standing with ease": one for each range that is known.
QStringList ease(const PersonNeutral& neutral);

} // namespace bevel::ui::text
