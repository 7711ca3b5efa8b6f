// A class: people of different ability do one plan. Who may not do a thing as it is led does another at the same moment.
#pragma once
#include "core/practice/plan.h"
#include <cstdint>
#include <span>

namespace bevel {

/// Somebody who is there, with what holds for them today.
struct InClass {
    std::int64_t person = 0;
    Needs needs;
};

/// What one of them does in the place of one item.
struct Instead {
    enum class Way {
        as_led,
        held,    // as it is led, with something in reach
        easier,  // a graded version of the same
        another, // another movement of its kind
        rest     // nothing of it passes: they rest, and watch
    } way = Way::as_led;
    Otherwise what;                   // where it is not as led
    int ladder = 0;                   // their own step of the balance ladder, where it asks for balance
    std::optional<LeftOut::Code> why; // what stands against it as it is led
};

/// What a class is led by: what the day and the hall give, what at least half of those there may not do, the lowest step of the balance
/// ladder among them, what letters asked of any of them (as in a group), and as known what more than half of them know. What fewer may
/// not do is led all the same, and they are given another way (`instead_of`).
Needs needs_of_class(const Needs& day, std::span<const InClass> there);

/// By item and person. Everything passes the gate of that person (core/practice/gate.h) or is a rest. Where several need another movement
/// it is the same one for as many of them as may do it, so that little has to be said.
std::vector<std::vector<Instead>> instead_of(const Plan& plan, std::span<const InClass> there, const std::vector<Movement>& movements);

/// Puts into the plan what is said to all: each other way once, whoever does it.
void say_otherwise(Plan& plan, const std::vector<std::vector<Instead>>& instead);

/// An Otherwise as one text for a call ("otherwise", and "otherwise_same" where the movement is the one that is led), and back.
std::string otherwise_text(const Otherwise& o);
Otherwise parse_otherwise(const std::string& text);

} // namespace bevel
