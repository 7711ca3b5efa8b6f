// What plans and their run say to people.
#pragma once
#include "core/form/pieces.h"
#include "core/practice/class_plan.h"
#include "core/practice/pacer.h"
#include "ui/text/text.h"
#include <QStringList>

namespace bevel::ui::text {

QString part_of_plan(PlanPart p);
/// Of a piece of a form: what it is called; `first`: name of its first part, where that is known.
QString piece_title(const PieceId& piece, const QString& form, const QString& first);
/// "Brush the Knee and Push", "Drill: Step without arms", "1–2: …".
QString item_title(const PlanItem& i, const std::vector<Movement>& movements);
/// "3 a side, right first", "8 times", "2 holds of 30 s", "1:30".
QString item_amount(const PlanItem& i);
QString minutes_words(double seconds); // m:ss
QString plan_reason(const PlanReason& r, const std::vector<Movement>& movements);
/// All that is worth saying of an item, each thing once: what several rules of a letter asked for is one reason.
QStringList plan_reasons(const std::vector<PlanReason>& why, const std::vector<Movement>& movements);
QString left_out(const LeftOut& l, const std::vector<Movement>& movements);
QString plan_problem(const PlanProblem& p, const Plan& plan, const std::vector<Movement>& movements);
/// Part of the body or thing a movement trains.
QString trained(const std::string& part);
/// A step of the balance ladder; 0: that there is something in reach.
QString balance_step(int step);
/// With its first letter large, as a sentence begins.
QString first_large(QString s);
/// What some do in the place of an item, as it is said to all: "seated", "with something to hold", "Heel Raises", "rest, and watch".
QString otherwise(const Otherwise& o, bool same_movement, const std::vector<Movement>& movements);
/// Of all of them: "or: seated; or: Heel Raises"; empty where everybody does what is led.
QString otherwise_words(const PlanItem& i, const std::vector<Movement>& movements);
/// What is said or written as a call comes due; empty for what is only sounded. `spoken`: for the voice, names in pinyin between « and ».
QString call_words(const Call& c, const std::vector<Movement>& movements, bool spoken = false);

} // namespace bevel::ui::text
