// What classes say to people: on the leader's screen and paper with names, to the class without.
#pragma once
#include "desk/classes.h"
#include "ui/text/text.h"

namespace bevel::ui::text {

QString weekday(int day); // 1 Monday; empty for none
/// "Thursdays at 18:30, Lantern Quay, 60 min".
QString class_when(const ClassGroup& g);
/// "dizzy, knees"; empty for who is well.
QString today_words(const Today& t);
QString part_of_body(const std::string& care);
/// What a person may not do, shortly; empty for nothing.
QString limits_of(const PersonNeeds& one, const Catalogue& catalogue);
/// What this one does in the place of an item, with the step of the balance ladder where there is one; empty for as it is led.
QString instead(const Instead& x, const PlanItem& item, const std::vector<Movement>& movements);
/// Names with what each does: "Anna: seated; Ben, Cleo: Heel Raises".
QString instead_of_whom(const std::vector<Instead>& row, const PlanItem& item, const ClassSheet& sheet, const std::vector<InClass>& there,
                        const std::vector<Movement>& movements);
/// What is seen where a rule is missed in that direction.
QString missed(const CommonFault& f, const Catalogue& catalogue);
QString missed(const std::string& check, Direction direction, const Catalogue& catalogue);
/// "7 of 12", and how sure: "6 to 8 by the errors of their figures"; empty where the number is sure.
QString how_many(const CommonFault& f);
QString how_sure(const CommonFault& f);
/// "fewer now: 10 of 12, then 3 of 11 (sure)".
QString share_change(const ShareChange& s);

/// One remark for the class, its picture and drill by the movement it is seen in; nobody is named, and no share of fewer than five people.
/// Empty where nothing is common to so many.
QString class_letter(const ClassSheet& sheet, const std::vector<CommonFault>& common, const std::vector<ShareChange>& changes,
                     const std::vector<Movement>& movements, const Catalogue& catalogue);

} // namespace bevel::ui::text
