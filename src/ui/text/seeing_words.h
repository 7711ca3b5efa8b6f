// What is said to those who learn to see, and of what they saw. Counts, never points or ranks.
#pragma once
#include "desk/seeing.h"
#include "ui/text/text.h"

namespace bevel::ui::text {

QString seeing_level(SeeingLevel l);       // "clear"
QString seeing_level_about(SeeingLevel l); // what it shows
/// What is seen, as it is offered to be said: "The knee falls in".
QString sayable(const Sayable& s, const Catalogue& catalogue);
QString said_side(SaidSide s);
/// "The knee falls in, left, at 0:03.2 (Shift)".
QString said_of(const Said& s, const Movement& m, const Review& review, const Catalogue& catalogue);
/// The part of the movement at a moment of the clip, or empty.
QString phase_at(const Movement& m, const Alignment& alignment, double time_s);
/// "both sides; “Shift”, “Settle”".
QString where_visible(const Visible& v, const Movement& m, const Review& review);
/// "14 ± 2°, where up to 6° is asked".
QString how_large(const Visible& v, const Review& review, const Units& units);
QString seen_mark(const std::optional<SeenMark>& mark); // none: missed
/// Of one clip: "2 of 3 found, 1 missed; 1 said that is not there".
QString seen_count(const SeenCount& c);
/// What was said of sides, moments and order, a sentence each; empty where nothing can be said.
QString seen_how(const SeenCount& c);
/// Over all clips.
QString seen_sum(const SeenSum& s);
QString seen_round(const SeenRound& r);
QString see_next(const SeeNext& n);

} // namespace bevel::ui::text
