#include "ui/forms/learn_words.h"
#include <QCoreApplication>
#include <QLocale>

namespace bevel::ui {
namespace {

struct LearnWords {
    Q_DECLARE_TR_FUNCTIONS(learn)
};

/// The rule's own band of a check, below all that changes it.
const BandStep* rules_band(const Check& c) {
    return !c.stack.empty() && c.stack.front().level == BandLevel::rule ? &c.stack.front() : nullptr;
}

} // namespace

LearnedWords learned_words(const Learned& l, const Catalogue& catalogue) {
    LearnedWords out;
    int all = 0, empty = 0, moved = 0;
    for (const int n : l.repetitions) all += n, empty += n == 0 ? 1 : 0;
    out.lines << LearnWords::tr("%n repetition(s) found.", nullptr, all);
    if (empty > 0) out.lines << LearnWords::tr("%n clip(s) show none of it.", nullptr, empty);
    out.lines
        << LearnWords::tr("The figure's joints are within %1 cm of what was shown.").arg(QLocale().toString(100 * l.misfit_m, 'f', 1));
    QStringList against, unsafe;
    for (const auto& b : l.bands) {
        const auto c = std::find_if(l.movement.checks.begin(), l.movement.checks.end(), [&](const Check& k) { return k.id == b.check; });
        if (c == l.movement.checks.end()) continue;
        const QString name = catalogue.name(QString::fromStdString(c->measure)),
                      unit = QString::fromStdString(unit_of_measure(rule_book(), c->measure).value_or("")),
                      shown = text::figure(b.mean, unit);
        if (b.beyond) {
            unsafe << LearnWords::tr("Take care: %1 was shown at %2, beyond what is safe (%3). The safe band stays.")
                          .arg(name, shown, text::band(c->low, c->high, unit));
            continue;
        }
        if (!c->stack.empty() && c->stack.back().level != BandLevel::rule) ++moved;
        const BandStep* rule = rules_band(*c);
        if (!rule || c->reference) continue;
        // Beyond the rule by more than what is worth a remark, and the learned band follows it there.
        const bool high = rule->high && b.mean > *rule->high + c->matters, low = rule->low && b.mean < *rule->low - c->matters;
        if (!high && !low) continue;
        const std::string& fault = high ? c->fault_high : c->fault_low;
        against << LearnWords::tr("%1: %2, where the rule asks for %3", "what was seen")
                       .arg(fault.empty() ? name : said(fault), shown, text::band(rule->low, rule->high, unit));
    }
    out.lines << LearnWords::tr("%n band(s) are set by what was shown.", nullptr, moved);
    out.lines << unsafe;
    if (!against.isEmpty()) {
        out.lines << LearnWords::tr("Shown otherwise than the rules ask. Is it meant so? Then keep it, else film it anew:");
        for (const auto& a : against) out.lines << QStringLiteral("– ") + a;
    }
    out.to_look_at = !unsafe.isEmpty() || !against.isEmpty();
    return out;
}

} // namespace bevel::ui
