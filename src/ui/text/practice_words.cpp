#include "ui/text/practice_words.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui::text {
namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(practice)
};

QString name_of(const std::vector<Movement>& movements, const std::string& id) {
    const Movement* m = movement_named(movements, id);
    return m ? said(m->name) : QString::fromStdString(id);
}

QString rule_name(const std::string& id) {
    const Rule* r = rule_book().find(id);
    return r ? said(r->name) : QString::fromStdString(id);
}

} // namespace

QString part_of_plan(PlanPart p) {
    switch (p) {
    case PlanPart::opening:
        return Words::tr("Opening");
    case PlanPart::loosening:
        return Words::tr("Loosening");
    case PlanPart::drill:
        return Words::tr("Drill");
    case PlanPart::form:
        return Words::tr("Form");
    case PlanPart::sequence:
        return Words::tr("Sequence");
    case PlanPart::join:
        return Words::tr("Join");
    case PlanPart::settling:
        return Words::tr("Settling");
    case PlanPart::closing:
        return Words::tr("Closing");
    }
    return {};
}

QString trained(const std::string& part) {
    if (part == "legs") return Words::tr("legs");
    if (part == "waist") return Words::tr("waist");
    if (part == "spine") return Words::tr("spine");
    if (part == "shoulders") return Words::tr("shoulders");
    if (part == "balance") return Words::tr("balance");
    if (part == "breath") return Words::tr("breath");
    return QString::fromStdString(part);
}

QString item_title(const PlanItem& i, const std::vector<Movement>& movements) {
    if (i.part == PlanPart::settling) return Words::tr("Stand, two easy breaths");
    if (!i.sequence.empty()) {
        QStringList names;
        for (const auto& id : i.sequence) names << name_of(movements, id);
        return i.part == PlanPart::join ? Words::tr("Join: end of %1, beginning of %2").arg(names.front(), names.back())
                                        : names.join(QStringLiteral(" – "));
    }
    const QString name = name_of(movements, i.movement);
    if (!i.drill.empty()) return Words::tr("%1: %2").arg(name, said(i.drill));
    return i.version.empty() ? name : Words::tr("%1 (%2)").arg(name, said(i.version));
}

QString minutes_words(double seconds) {
    const auto s = std::lround(seconds);
    return QStringLiteral("%1:%2").arg(s / 60).arg(s % 60, 2, 10, QLatin1Char('0'));
}

QString item_amount(const PlanItem& i) {
    if (i.holds > 0) return i.holds == 1 ? Words::tr("held %1 s").arg(i.hold_s) : Words::tr("%1 holds of %2 s").arg(i.holds).arg(i.hold_s);
    if (i.times > 0) return Words::tr("%n time(s)", nullptr, i.times);
    if (i.left + i.right > 0) {
        QString s = i.left == i.right ? Words::tr("%1 a side").arg(i.left) : Words::tr("%1 left, %2 right").arg(i.left).arg(i.right);
        if (!i.first_side.empty()) s += Words::tr(", %1 first").arg(side(i.first_side == "left" ? Side::left : Side::right));
        return s;
    }
    return minutes_words(i.practice_s);
}

QString plan_reason(const PlanReason& r, const std::vector<Movement>& movements) {
    using C = PlanReason::Code;
    switch (r.code) {
    case C::frame:
        return Words::tr("a still stand frames the session");
    case C::asked:
        return Words::tr("the last letter asked for it (%1)").arg(rule_name(r.of));
    case C::drill_for:
        return Words::tr("isolates what is to be mended, before the whole");
    case C::prepares:
        return Words::tr("because %1 asks for the %2").arg(name_of(movements, r.of), trained(r.part));
    case C::eases:
        return Words::tr("eases what %1 has tired").arg(name_of(movements, r.of));
    case C::theme:
        return Words::tr("trains the %1").arg(trained(r.of));
    case C::wanted:
        return Words::tr("you asked for it");
    case C::practised:
        return Words::tr("is known");
    case C::kept:
        return Words::tr("you keep it here");
    case C::settles:
        return Words::tr("a moment to settle");
    case C::grows:
        return Words::tr("the sequence grows movement by movement");
    case C::variety:
        break;
    }
    return Words::tr("for variety");
}

QString left_out(const LeftOut& l, const std::vector<Movement>& movements) {
    using C = LeftOut::Code;
    const QString name = name_of(movements, l.movement);
    switch (l.code) {
    case C::no_room:
        return Words::tr("%1 does not fit into the time.").arg(name);
    case C::overhead_today:
        return Words::tr("%1 is left out today: no arms overhead when unsteady, dizzy or tired.").arg(name);
    case C::balance_today:
        return Words::tr("%1 is left out today: no balance when unsteady, dizzy or tired.").arg(name);
    case C::limit:
        return Words::tr("%1 is left out: it was agreed so.").arg(name);
    case C::care:
        return Words::tr("%1 is left out: a part of the body asks for care today.").arg(name);
    case C::no_support:
        return Words::tr("%1 is left out: balance needs a chair or a wall in reach.").arg(name);
    case C::no_stick:
        return Words::tr("%1 is left out: no stick is at hand.").arg(name);
    }
    return Words::tr("%1 is left out.").arg(name);
}

QString plan_problem(const PlanProblem& p, const Plan& plan, const std::vector<Movement>& movements) {
    const QString name = p.item && *p.item < plan.items.size() ? item_title(plan.items[*p.item], movements) : QString();
    switch (p.rule) {
    case PlanRule::frame:
        return Words::tr("A quiet stand opens and closes a session.");
    case PlanRule::time:
        return plan.total_s() > 60 * plan.minutes
                   ? Words::tr("%1 longer than the time at hand.").arg(minutes_words(plan.total_s() - 60 * plan.minutes))
                   : Words::tr("%1 are left of the time at hand.").arg(minutes_words(60 * plan.minutes - plan.total_s()));
    case PlanRule::loosening:
        return Words::tr("Loosening is %1 % of the session; 35 to 40 are usual.").arg(std::lround(100 * plan.loosening_share()));
    case PlanRule::large_first:
        return Words::tr("%1: large joints come before twists.").arg(name);
    case PlanRule::stages:
        return Words::tr("%1: a low stance wants a middle one before it.").arg(name);
    case PlanRule::even:
        return Words::tr("%1: left and right are not even.").arg(name);
    case PlanRule::today:
        return Words::tr("%1: not when unsteady, dizzy or tired.").arg(name);
    case PlanRule::steadier:
        return Words::tr("%1: balance needs a chair or a wall in reach.").arg(name);
    case PlanRule::drill_first:
        return Words::tr("%1: its drill comes first.").arg(name);
    case PlanRule::limits:
        return Words::tr("%1: against what was agreed, or what asks for care.").arg(name);
    case PlanRule::easing:
        return Words::tr("%1: something light for what it tires should follow.").arg(name);
    default:
        return {};
    }
}

QString first_large(QString s) {
    if (!s.isEmpty()) s[0] = s[0].toUpper();
    return s;
}

QString balance_step(int step) {
    switch (static_cast<BalanceStep>(step)) {
    case BalanceStep::two_hands:
        return Words::tr("both hands on the back of a chair");
    case BalanceStep::one_hand:
        return Words::tr("one hand on the back of a chair");
    case BalanceStep::fingertips:
        return Words::tr("fingertips on the back of a chair");
    case BalanceStep::in_reach:
        return Words::tr("hands free, the chair or the wall in reach");
    case BalanceStep::tandem:
        return Words::tr("one foot before the other, the chair or the wall in reach");
    case BalanceStep::slower:
        return Words::tr("hands free and slower, the chair or the wall in reach");
    case BalanceStep::eyes_closed:
        return Words::tr("eyes closed, a helper beside");
    }
    return Words::tr("have a chair or the wall in reach");
}

QString call_words(const Call& c, const std::vector<Movement>& movements, bool spoken) {
    const QString of = QString::fromStdString(c.of);
    if (c.code == "movement" || c.code == "stand") {
        const Movement* m = movement_named(movements, c.of);
        const QString name = name_of(movements, c.of);
        if (spoken && m && !m->pinyin.empty()) return QStringLiteral("%1. «%2»").arg(name, QString::fromStdString(m->pinyin));
        return name;
    }
    if (c.code == "side") return c.of == "left" ? Words::tr("left") : Words::tr("right");
    if (c.code == "count") return of;
    if (c.code == "halfway") return Words::tr("halfway");
    if (c.code == "last_ten") return c.of == "10" ? Words::tr("ten more") : of;
    if (c.code == "hold") return c.of == "1" ? Words::tr("hold") : Words::tr("hold again");
    if (c.code == "breaths") return Words::tr("two free breaths");
    if (c.code == "enough") return Words::tr("enough, come up slowly");
    if (c.code == "settle") return Words::tr("stand, and settle");
    if (c.code == "support") return balance_step(c.of.empty() ? 0 : std::atoi(c.of.c_str()));
    if (c.code == "out_by") return c.of == "lips" ? Words::tr("in by the nose, out through the lips") : Words::tr("in and out by the nose");
    if (c.code == "caution") return caution(of);
    if (c.code == "attention") return said(c.of);
    if (c.code == "end") return Words::tr("that was all");
    return {}; // breath is sounded and drawn
}

} // namespace bevel::ui::text
