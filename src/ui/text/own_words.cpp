#include "ui/text/own_words.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui::text {
namespace {

struct OwnWords {
    Q_DECLARE_TR_FUNCTIONS(OwnWords)
};

} // namespace

QString own_figure(OwnPart part, const OwnFigure& f, double stature_m, const Units& units) {
    const auto cm = [&](double factor) {
        return f.by_hand ? figure(100 * factor * f.value * stature_m, QStringLiteral("cm"), units)
                         : with_sigma(100 * factor * f.value * stature_m, 100 * f.sigma * stature_m, QStringLiteral("cm"), units);
    };
    const auto degrees = [&](double factor) {
        return f.by_hand ? figure(factor * f.value, QStringLiteral("deg"), units)
                         : with_sigma(factor * f.value, f.sigma, QStringLiteral("deg"), units);
    };
    switch (part) {
    case OwnPart::head:
        return f.value >= 0 ? OwnWords::tr("head %1 ahead of the shoulders").arg(cm(1))
                            : OwnWords::tr("head %1 behind the shoulders").arg(cm(-1));
    case OwnPart::gap_left:
        return OwnWords::tr("left shoulder %1 below the ear").arg(cm(1));
    case OwnPart::gap_right:
        return OwnWords::tr("right shoulder %1 below the ear").arg(cm(1));
    case OwnPart::gaze:
        return f.value >= 0 ? OwnWords::tr("nose %1 over the ears").arg(degrees(1))
                            : OwnWords::tr("nose %1 under the ears").arg(degrees(-1));
    case OwnPart::back_upper:
        return OwnWords::tr("upper back rounded by %1").arg(degrees(1));
    case OwnPart::back_lower:
        return OwnWords::tr("low back hollow by %1").arg(degrees(1));
    case OwnPart::stoop:
        return OwnWords::tr("a stooped back, leaning by %1").arg(degrees(1));
    }
    return {};
}

QStringList own_figures(const OwnFigures& figures, double stature_m, const Units& units) {
    QStringList out;
    for (std::size_t k = 0; k < own_part_count; ++k)
        if (figures[k]) out << own_figure(static_cast<OwnPart>(k), *figures[k], stature_m, units);
    return out;
}

QStringList ease(const PersonNeutral& n) {
    QStringList out;
    if (n.depth) out << OwnWords::tr("the hips sink by %1 of their height").arg(figure(n.depth->value, QStringLiteral("1")));
    if (n.twist) out << OwnWords::tr("shoulders against hips turn by %1").arg(figure(n.twist->value, QStringLiteral("deg")));
    if (n.bend) out << OwnWords::tr("the trunk bends sideways by %1").arg(figure(n.bend->value, QStringLiteral("deg")));
    return out;
}

} // namespace bevel::ui::text
