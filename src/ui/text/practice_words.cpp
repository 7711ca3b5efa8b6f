#include "ui/text/practice_words.h"
#include "core/form/pieces.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui::text {
namespace {

struct PracticeWords {
    Q_DECLARE_TR_FUNCTIONS(practice)
};

QString name_of(const std::vector<Movement>& movements, const std::string& id) {
    const Movement* m = movement_named(movements, id);
    const auto piece = PieceId::read(id);
    if (!piece) return m ? said(m->name) : QString::fromStdString(id);
    return piece_title(*piece, m ? said(m->name) : PracticeWords::tr("a form that is not there any more"),
                       m && !m->part_names.empty() ? said(m->part_names.front()) : QString());
}

QString rule_name(const std::string& id) {
    const Rule* r = rule_book().find(id);
    return r ? said(r->name) : QString::fromStdString(id);
}

} // namespace

QString part_of_plan(PlanPart p) {
    switch (p) {
    case PlanPart::opening:
        return PracticeWords::tr("Opening");
    case PlanPart::loosening:
        return PracticeWords::tr("Loosening");
    case PlanPart::drill:
        return PracticeWords::tr("Drill");
    case PlanPart::form:
        return PracticeWords::tr("Form");
    case PlanPart::sequence:
        return PracticeWords::tr("Sequence");
    case PlanPart::join:
        return PracticeWords::tr("Join");
    case PlanPart::settling:
        return PracticeWords::tr("Settling");
    case PlanPart::closing:
        return PracticeWords::tr("Closing");
    }
    return {};
}

QString trained(const std::string& part) {
    if (part == "legs") return PracticeWords::tr("legs");
    if (part == "waist") return PracticeWords::tr("waist");
    if (part == "spine") return PracticeWords::tr("spine");
    if (part == "shoulders") return PracticeWords::tr("shoulders");
    if (part == "balance") return PracticeWords::tr("balance");
    if (part == "breath") return PracticeWords::tr("breath");
    return QString::fromStdString(part);
}

QString piece_title(const PieceId& piece, const QString& of, const QString& first) {
    const QString form = piece.mirrored ? PracticeWords::tr("%1, left and right changed over").arg(of) : of;
    if (piece.join) return PracticeWords::tr("%1: from part %2 over into %3").arg(form).arg(piece.from).arg(piece.to);
    if (piece.from < piece.to) return PracticeWords::tr("%1: parts %2 to %3").arg(form).arg(piece.from).arg(piece.to);
    return first.isEmpty() ? PracticeWords::tr("%1: part %2").arg(form).arg(piece.from)
                           : PracticeWords::tr("%1: %2. %3", "form, number and name of a part").arg(form).arg(piece.from).arg(first);
}

QString item_title(const PlanItem& i, const std::vector<Movement>& movements) {
    if (i.part == PlanPart::settling) return PracticeWords::tr("Stand, two easy breaths");
    if (!i.sequence.empty()) {
        QStringList names;
        for (const auto& id : i.sequence) names << name_of(movements, id);
        return i.part == PlanPart::join ? PracticeWords::tr("Join: end of %1, beginning of %2").arg(names.front(), names.back())
                                        : names.join(QStringLiteral(" – "));
    }
    const QString name = name_of(movements, i.movement);
    if (i.recall) return PracticeWords::tr("%1, from memory").arg(name);
    if (!i.drill.empty()) return PracticeWords::tr("%1: %2").arg(name, said(i.drill));
    return i.version.empty() ? name : PracticeWords::tr("%1 (%2)").arg(name, said(i.version));
}

QString minutes_words(double seconds) {
    const auto s = std::lround(seconds);
    return QStringLiteral("%1:%2").arg(s / 60).arg(s % 60, 2, 10, QLatin1Char('0'));
}

namespace {
QString amount_once(const PlanItem& i) {
    if (i.holds > 0)
        return i.holds == 1 ? PracticeWords::tr("held %1 s").arg(i.hold_s)
                            : PracticeWords::tr("%1 holds of %2 s").arg(i.holds).arg(i.hold_s);
    if (i.times > 0) return PracticeWords::tr("%n time(s)", nullptr, i.times);
    if (i.left + i.right > 0) {
        QString s = i.left == i.right ? PracticeWords::tr("%1 a side").arg(i.left)
                                      : PracticeWords::tr("%1 left, %2 right").arg(i.left).arg(i.right);
        if (!i.first_side.empty()) s += PracticeWords::tr(", %1 first").arg(side(i.first_side == "left" ? Side::left : Side::right));
        return s;
    }
    return minutes_words(i.practice_s);
}
} // namespace

QString item_amount(const PlanItem& i) {
    QString words = amount_once(i);
    if (i.rounds > 1) words = PracticeWords::tr("%1, round %2 of %3").arg(words).arg(i.round).arg(i.rounds);
    return words;
}

QString plan_reason(const PlanReason& r, const std::vector<Movement>& movements) {
    using C = PlanReason::Code;
    switch (r.code) {
    case C::frame:
        return PracticeWords::tr("a still stand frames the session");
    case C::asked:
        return r.of.empty() ? PracticeWords::tr("the last letter asked for it")
                            : PracticeWords::tr("the last letter asked for it (%1)").arg(rule_name(r.of));
    case C::drill_for:
        return PracticeWords::tr("isolates what is to be mended, before the whole");
    case C::prepares:
        return PracticeWords::tr("because %1 asks for the %2").arg(name_of(movements, r.of), trained(r.part));
    case C::eases:
        return PracticeWords::tr("eases what %1 has tired").arg(name_of(movements, r.of));
    case C::theme:
        return PracticeWords::tr("trains the %1").arg(trained(r.of));
    case C::wanted:
        return PracticeWords::tr("you asked for it");
    case C::practised:
        return PracticeWords::tr("is known");
    case C::kept:
        return PracticeWords::tr("you keep it here");
    case C::settles:
        return PracticeWords::tr("a moment to settle");
    case C::grows:
        return r.of.empty() ? PracticeWords::tr("the sequence grows movement by movement")
                            : PracticeWords::tr("the form grows part by part");
    case C::gentler:
        return PracticeWords::tr("in its easier way, by what was agreed or what today asks for");
    case C::variety:
        break;
    }
    return PracticeWords::tr("for variety");
}

QStringList plan_reasons(const std::vector<PlanReason>& why, const std::vector<Movement>& movements) {
    using C = PlanReason::Code;
    QStringList rules;
    for (const auto& w : why)
        if (w.code == C::asked && !w.of.empty() && !rules.contains(rule_name(w.of))) rules << rule_name(w.of);
    QStringList out;
    for (const auto& w : why) {
        if (w.code == C::variety || w.code == C::settles) continue;
        const QString words = w.code == C::asked && !rules.isEmpty()
                                  ? PracticeWords::tr("the last letter asked for it (%1)").arg(rules.join(QStringLiteral(", ")))
                                  : plan_reason(w, movements);
        if (!out.contains(words)) out << words;
    }
    return out;
}

QString left_out(const LeftOut& l, const std::vector<Movement>& movements) {
    using C = LeftOut::Code;
    const QString name = name_of(movements, l.movement);
    switch (l.code) {
    case C::no_room:
        return PracticeWords::tr("%1 does not fit into the time.").arg(name);
    case C::overhead_today:
        return PracticeWords::tr("%1 is left out today: no arms overhead when unsteady, dizzy or tired.").arg(name);
    case C::balance_today:
        return PracticeWords::tr("%1 is left out today: no balance when unsteady, dizzy or tired.").arg(name);
    case C::limit:
        return PracticeWords::tr("%1 is left out: it was agreed so.").arg(name);
    case C::care:
        return PracticeWords::tr("%1 is left out: a part of the body asks for care today.").arg(name);
    case C::no_support:
        return PracticeWords::tr("%1 is left out: balance needs a chair or a wall in reach.").arg(name);
    case C::no_stick:
        return PracticeWords::tr("%1 is left out: no stick is at hand.").arg(name);
    case C::unknown:
        return PracticeWords::tr("%1 is left out: it is not among the forms.").arg(name);
    }
    return PracticeWords::tr("%1 is left out.").arg(name);
}

QString plan_problem(const PlanProblem& p, const Plan& plan, const std::vector<Movement>& movements) {
    const QString name = p.item && *p.item < plan.items.size() ? item_title(plan.items[*p.item], movements) : QString();
    switch (p.rule) {
    case PlanRule::frame:
        return PracticeWords::tr("A quiet stand opens and closes a session.");
    case PlanRule::time:
        return plan.total_s() > 60 * plan.minutes
                   ? PracticeWords::tr("%1 longer than the time at hand.").arg(minutes_words(plan.total_s() - 60 * plan.minutes))
                   : PracticeWords::tr("%1 are left of the time at hand.").arg(minutes_words(60 * plan.minutes - plan.total_s()));
    case PlanRule::loosening:
        return PracticeWords::tr("Loosening is %1 % of the session; 35 to 40 are usual.").arg(std::lround(100 * plan.loosening_share()));
    case PlanRule::large_first:
        return PracticeWords::tr("%1: large joints come before twists.").arg(name);
    case PlanRule::stages:
        return PracticeWords::tr("%1: a low stance wants a middle one before it.").arg(name);
    case PlanRule::even:
        return PracticeWords::tr("%1: left and right are not even.").arg(name);
    case PlanRule::today:
        return PracticeWords::tr("%1: not when unsteady, dizzy or tired.").arg(name);
    case PlanRule::steadier:
        return PracticeWords::tr("%1: balance needs a chair or a wall in reach.").arg(name);
    case PlanRule::drill_first:
        return PracticeWords::tr("%1: its drill comes first.").arg(name);
    case PlanRule::limits:
        return PracticeWords::tr("%1: against what was agreed, or what asks for care.").arg(name);
    case PlanRule::easing:
        return PracticeWords::tr("%1: something light for what it tires should follow.").arg(name);
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
        return PracticeWords::tr("both hands on the back of a chair");
    case BalanceStep::one_hand:
        return PracticeWords::tr("one hand on the back of a chair");
    case BalanceStep::fingertips:
        return PracticeWords::tr("fingertips on the back of a chair");
    case BalanceStep::in_reach:
        return PracticeWords::tr("hands free, the chair or the wall in reach");
    case BalanceStep::tandem:
        return PracticeWords::tr("one foot before the other, the chair or the wall in reach");
    case BalanceStep::slower:
        return PracticeWords::tr("hands free and slower, the chair or the wall in reach");
    case BalanceStep::eyes_closed:
        return PracticeWords::tr("eyes closed, a helper beside");
    }
    return PracticeWords::tr("have a chair or the wall in reach");
}

QString otherwise(const Otherwise& o, bool same_movement, const std::vector<Movement>& movements) {
    if (o.movement.empty()) return PracticeWords::tr("rest, and watch");
    const QString version = o.version.empty() ? QString() : said(o.version);
    if (!same_movement) {
        const QString name = name_of(movements, o.movement);
        return version.isEmpty() ? name : PracticeWords::tr("%1, %2", "a movement, a version of it").arg(name, version);
    }
    if (!version.isEmpty()) return version;
    return o.support ? PracticeWords::tr("with something to hold") : PracticeWords::tr("as it is");
}

QString otherwise_words(const PlanItem& i, const std::vector<Movement>& movements) {
    QStringList all;
    for (const auto& o : i.otherwise) all << PracticeWords::tr("or: %1").arg(otherwise(o, o.movement == i.movement, movements));
    all.removeDuplicates();
    return all.join(QStringLiteral(" · "));
}

QString call_words(const Call& c, const std::vector<Movement>& movements, bool spoken) {
    const QString of = QString::fromStdString(c.of);
    if (c.code == "part") return said(c.of);
    if (c.code == "was_part") return PracticeWords::tr("that was: %1", "a part of a form, once it is over").arg(said(c.of));
    if (c.code == "movement" || c.code == "stand") {
        const Movement* m = movement_named(movements, c.of);
        const QString name = name_of(movements, c.of);
        if (spoken && m && !m->pinyin.empty()) return QStringLiteral("%1. «%2»").arg(name, QString::fromStdString(m->pinyin));
        return name;
    }
    if (c.code == "side") return c.of == "left" ? PracticeWords::tr("left") : PracticeWords::tr("right");
    if (c.code == "count") return of;
    if (c.code == "halfway") return PracticeWords::tr("halfway");
    if (c.code == "last_ten") return c.of == "10" ? PracticeWords::tr("ten more") : of;
    if (c.code == "hold") return c.of == "1" ? PracticeWords::tr("hold") : PracticeWords::tr("hold again");
    if (c.code == "breaths") return PracticeWords::tr("two free breaths");
    if (c.code == "enough") return PracticeWords::tr("enough, come up slowly");
    if (c.code == "set_up") {
        const Otherwise next = parse_otherwise(c.of);
        const Movement* m = movement_named(movements, next.movement);
        QStringList words{PracticeWords::tr("next: %1", "what comes after the rest").arg(name_of(movements, next.movement))};
        if (!next.version.empty()) words << said(next.version);
        if (next.version.empty() && m && !m->phases.empty() && !m->phases.front().stance.empty())
            words << PracticeWords::tr("%1 stance").arg(stance(m->phases.front().stance).replace(QLatin1Char('_'), QLatin1Char(' ')));
        if (m && traits_of(*m).stick) words << PracticeWords::tr("with the stick");
        if (next.support) words << PracticeWords::tr("the chair or the wall in reach");
        return words.join(QStringLiteral(", "));
    }
    if (c.code == "settle") return PracticeWords::tr("stand, and settle");
    if (c.code == "support") return balance_step(c.of.empty() ? 0 : std::atoi(c.of.c_str()));
    if (c.code == "out_by")
        return c.of == "lips" ? PracticeWords::tr("in by the nose, out through the lips") : PracticeWords::tr("in and out by the nose");
    if (c.code.starts_with("otherwise"))
        return PracticeWords::tr("or: %1").arg(otherwise(parse_otherwise(c.of), c.code == "otherwise_same", movements));
    if (c.code == "caution") return caution(of);
    if (c.code == "attention") return said(c.of);
    if (c.code == "end") return PracticeWords::tr("that was all");
    return {}; // breath is sounded and drawn
}

} // namespace bevel::ui::text
