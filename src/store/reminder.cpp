#include "store/reminder.h"
#include <chrono>
#include <cstdio>
#include <libical/ical.h>
#include <memory>

namespace bevel {
namespace {

using CalendarPart = std::unique_ptr<icalcomponent, decltype(&icalcomponent_free)>;

/// Digits of an ISO date or time as RFC 5545 writes it: 20261126, 20261126T183000.
std::string basic(const std::string& iso) {
    std::string out;
    for (const char c : iso)
        if (c != '-' && c != ':') out += c;
    return out;
}

bool is_day(const std::string& iso) {
    int y = 0;
    unsigned m = 0, d = 0;
    return iso.size() >= 10 && std::sscanf(iso.c_str(), "%4d-%2u-%2u", &y, &m, &d) == 3 &&
           std::chrono::year_month_day(std::chrono::year(y), std::chrono::month(m), std::chrono::day(d)).ok();
}

CalendarPart calendar() {
    return {icalcomponent_vanew(ICAL_VCALENDAR_COMPONENT, icalproperty_new_version("2.0"), icalproperty_new_prodid("-//Bevel//EN"),
                                icalproperty_new_calscale("GREGORIAN"), nullptr),
            icalcomponent_free};
}

icalcomponent* event(const std::string& uid, const std::string& made_at, const std::string& title, const std::string& words) {
    icalcomponent* e = icalcomponent_new_vevent();
    icalcomponent_add_property(e, icalproperty_new_uid(uid.c_str()));
    icalcomponent_add_property(e, icalproperty_new_dtstamp(icaltime_from_string((basic(made_at.substr(0, 19)) + "Z").c_str())));
    icalcomponent_add_property(e, icalproperty_new_summary(title.c_str()));
    if (!words.empty()) icalcomponent_add_property(e, icalproperty_new_description(words.c_str()));
    return e;
}

std::string text_of(icalcomponent* c) {
    char* text = icalcomponent_as_ical_string_r(c);
    std::string out = text ? text : "";
    icalmemory_free_buffer(text);
    return out;
}

} // namespace

Result<std::string> calendar_of(const std::vector<Reminder>& all, const std::string& made_at) {
    const CalendarPart cal = calendar();
    for (const auto& r : all) {
        const icaltimetype day = icaltime_from_string(basic(r.day).c_str());
        if (r.day.size() != 10 || !is_day(r.day) || icaltime_is_null_time(day) || !icaltime_is_valid_time(day))
            return fail(Code::bad_value, "day");
        icalcomponent* e = event(r.uid, made_at, r.title, r.words);
        icaltimetype next = day;
        icaltime_adjust(&next, 1, 0, 0, 0);
        icalcomponent_add_property(e, icalproperty_new_dtstart(day));
        icalcomponent_add_property(e, icalproperty_new_dtend(next));
        icalcomponent_add_property(e, icalproperty_new_transp(ICAL_TRANSP_TRANSPARENT));
        icaltriggertype at{};
        at.duration = icaldurationtype_from_int(r.alarm_hours * 3600);
        icalcomponent_add_component(e, icalcomponent_vanew(ICAL_VALARM_COMPONENT, icalproperty_new_action(ICAL_ACTION_DISPLAY),
                                                           icalproperty_new_description(r.title.c_str()), icalproperty_new_trigger(at),
                                                           nullptr));
        icalcomponent_add_component(cal.get(), e);
    }
    return text_of(cal.get());
}

Result<std::string> calendar_of(const std::vector<PracticeDate>& all, const std::string& made_at) {
    const CalendarPart cal = calendar();
    for (const auto& p : all) {
        const icaltimetype at = icaltime_from_string(basic(p.at.substr(0, 19)).c_str()); // floating: the clock on the wall
        if (!is_day(p.at) || icaltime_is_null_time(at) || !icaltime_is_valid_time(at) || p.minutes <= 0)
            return fail(Code::bad_value, "day");
        icalcomponent* e = event(p.uid, made_at, p.title, p.words);
        icalcomponent_add_property(e, icalproperty_new_dtstart(at));
        icalcomponent_add_property(e, icalproperty_new_duration(icaldurationtype_from_int(p.minutes * 60)));
        if (p.every_days > 0 && p.times > 1) {
            const std::string rule = "FREQ=DAILY;INTERVAL=" + std::to_string(p.every_days) + ";COUNT=" + std::to_string(p.times);
            icalcomponent_add_property(e, icalproperty_new_rrule(icalrecurrencetype_from_string(rule.c_str())));
        }
        icalcomponent_add_component(cal.get(), e);
    }
    return text_of(cal.get());
}

} // namespace bevel
