#include "ui/text/course_words.h"
#include "core/movement/rules.h"
#include <algorithm>
#include <QCoreApplication>
#include <QDate>
#include <QLocale>

namespace bevel::ui::text {
namespace {

struct CourseWords {
    Q_DECLARE_TR_FUNCTIONS(CourseWords)
};

QString name_of_movement(const std::vector<Movement>& movements, const std::string& id) {
    const Movement* m = movement_named(movements, id);
    return m ? movement(*m) : QString::fromStdString(id);
}

QString days_of(int count, double minutes, const QString& one) {
    return CourseWords::tr("%1 of %2 minutes").arg(one.arg(count), QLocale().toString(minutes, 'f', 0));
}

} // namespace

QString thread_title(const CourseThread& t, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms) {
    switch (t.kind) {
    case ThreadKind::movement:
        return name_of_movement(movements, t.of);
    case ThreadKind::rule: {
        const Rule* r = rule_book().find(t.rule);
        const QString what = r ? said(r->name) : QString::fromStdString(t.rule);
        return CourseWords::tr("%1: %2").arg(name_of_movement(movements, t.of), what);
    }
    case ThreadKind::form: {
        const auto f = std::find_if(forms.begin(), forms.end(), [&](const LinkedForm& x) { return x.id == t.of; });
        return f == forms.end() ? QString::fromStdString(t.of) : said(f->name);
    }
    case ThreadKind::ladder:
        break;
    }
    return CourseWords::tr("Balance");
}

QString beat(Beat b) {
    switch (b) {
    case Beat::begins:
        return CourseWords::tr("new");
    case Beat::grows:
        return CourseWords::tr("goes on");
    case Beat::returns:
        return CourseWords::tr("again");
    case Beat::recalled:
        return CourseWords::tr("from memory");
    case Beat::not_yet:
    case Beat::rests:
        break;
    }
    return {};
}

QString week_kind(WeekKind k) {
    switch (k) {
    case WeekKind::lighter:
        return CourseWords::tr("lighter week: nothing new, shorter and slower");
    case WeekKind::recall:
        return CourseWords::tr("recall week: everything from memory");
    case WeekKind::plain:
        break;
    }
    return {};
}

QString week_short(const CourseWeek& w) {
    return w.missed                      ? CourseWords::tr("missed")
           : w.kind == WeekKind::lighter ? CourseWords::tr("lighter")
           : w.kind == WeekKind::recall  ? CourseWords::tr("recall")
                                         : QString();
}

QString week_head(std::size_t week, const CourseWeek& w) {
    const QDate day = QDate::fromString(QString::fromStdString(w.from), Qt::ISODate);
    return QStringLiteral("%1\n%2").arg(week + 1).arg(locale_now().toString(day, QStringLiteral("d MMM")));
}

QString week_amount(const CourseWeek& w, const CourseNeeds& needs) {
    QStringList all;
    if (needs.lessons > 0)
        all << days_of(needs.lessons, w.lesson_minutes, needs.lessons == 1 ? CourseWords::tr("%1 lesson") : CourseWords::tr("%1 lessons"));
    if (needs.home_days > 0)
        all << days_of(needs.home_days, w.home_minutes,
                       needs.home_days == 1 ? CourseWords::tr("%1 day at home") : CourseWords::tr("%1 days at home"));
    if (w.pace > 1.05 * needs.needs.pace) all << CourseWords::tr("slower than usual");
    return all.join(QStringLiteral(", "));
}

QStringList week_clips(const CourseWeek& w) {
    QStringList all;
    if (w.clip_looked) all << CourseWords::tr("The clip of last week is looked at.");
    if (w.clip_asked) all << CourseWords::tr("A clip is asked for by the end of the week.");
    return all;
}

QString not_in_course(const NotInCourse& l, const std::vector<Movement>& movements) {
    const auto space = l.key.rfind(' ');
    const std::string of = space == std::string::npos ? std::string() : l.key.substr(space + 1);
    if (of.empty()) return CourseWords::tr("Balance is left out: limits, the day, or nothing to hold on to stand against it.");
    if (l.code == LeftOut::Code::no_room)
        return CourseWords::tr("%1 does not fit in: one new thing a week is enough.").arg(name_of_movement(movements, of));
    return left_out({of, l.code}, movements);
}

namespace {
bool done_in(Beat b) {
    return b != Beat::not_yet && b != Beat::rests;
}
/// Where it stands in the file of a drill, as it is said; empty where there is none.
QString drill_words(const CourseThread& t, const std::vector<Movement>& movements) {
    const Movement* m = movement_named(movements, t.of);
    if (!m) return {};
    for (const auto& d : m->drills)
        if (t.drill.empty() ? std::find(d.rules.begin(), d.rules.end(), t.rule) != d.rules.end() : d.name == t.drill) return said(d.name);
    return {};
}
} // namespace

QString why_in_week(const Course& course, const CourseThread& t, std::size_t week, int by_hand, const std::vector<Movement>& movements) {
    if (week >= t.beats.size() || week >= course.weeks.size()) return {};
    const auto at = static_cast<std::ptrdiff_t>(week);
    const CourseWeek& w = course.weeks[week];
    QStringList words;
    switch (t.beats[week]) {
    case Beat::begins:
        words << (t.kind == ThreadKind::rule ? CourseWords::tr("A letter asked for it: it comes before anything else that is new.")
                                             : CourseWords::tr("The one new thing of this week."));
        if (const QString drill = drill_words(t, movements); t.kind == ThreadKind::rule && !drill.isEmpty())
            words << CourseWords::tr("With its drill: %1.").arg(drill);
        break;
    case Beat::grows:
        words << (t.kind == ThreadKind::ladder ? CourseWords::tr("One step up: %1.").arg(balance_step(w.ladder))
                                               : CourseWords::tr("The next parts, up to part %1.").arg(w.parts));
        break;
    case Beat::returns:
    case Beat::recalled: {
        std::ptrdiff_t last = at - 1;
        while (last >= 0 && !done_in(t.beats[static_cast<std::size_t>(last)])) --last;
        if (t.beats[week] == Beat::recalled)
            words << CourseWords::tr("From memory, before it is shown again.");
        else if (last >= 0)
            words << CourseWords::tr("It comes back %n week(s) after it was last done, each time a little later.", nullptr,
                                     static_cast<int>(at - last));
        else
            words << CourseWords::tr("Known already: it comes back so that it stays.");
        break;
    }
    case Beat::rests: {
        std::size_t next = week + 1;
        while (next < t.beats.size() && !done_in(t.beats[next])) ++next;
        words << (next < t.beats.size() ? CourseWords::tr("It rests until week %1.").arg(next + 1)
                                        : CourseWords::tr("It rests from here on."));
        break;
    }
    case Beat::not_yet: {
        std::size_t next = week + 1;
        while (next < t.beats.size() && !done_in(t.beats[next])) ++next;
        words << (next < t.beats.size() ? CourseWords::tr("It begins in week %1.").arg(next + 1)
                                        : CourseWords::tr("It does not begin in this course."));
        break;
    }
    }
    if (by_hand > 0) words << CourseWords::tr("Set by hand to begin in week %1.").arg(by_hand);
    return words.join(QLatin1Char(' '));
}

QString course_change(const CourseChange& c, const Course& before, const Course& after, const std::vector<Movement>& movements,
                      const std::vector<LinkedForm>& forms) {
    QString of;
    for (const auto* course : {&before, &after})
        for (const auto& t : course->threads)
            if (t.key() == c.key) of = thread_title(t, movements, forms);
    using C = CourseChange::Code;
    switch (c.code) {
    case C::comes_in:
        return c.to > 0 ? CourseWords::tr("%1 comes in, in week %2").arg(of).arg(c.to) : CourseWords::tr("%1 comes in").arg(of);
    case C::goes_out:
        return CourseWords::tr("%1 goes out").arg(of);
    case C::moved:
        return c.from == 0 || c.to == 0 ? CourseWords::tr("%1 is arranged anew").arg(of)
                                        : CourseWords::tr("%1 moves from week %2 to week %3").arg(of).arg(c.from).arg(c.to);
    case C::longer:
    case C::shorter:
        return CourseWords::tr("%1 weeks in place of %2").arg(c.to).arg(c.from);
    case C::other:
        break;
    }
    return CourseWords::tr("what returns is arranged anew from week %1 on").arg(c.from);
}

std::vector<PracticeDate> course_dates(const Course& course, const CourseNeeds& needs, const std::string& at, const QString& title) {
    std::vector<PracticeDate> out;
    for (std::size_t w = 0; w < course.weeks.size(); ++w) {
        const CourseWeek& week = course.weeks[w];
        if (week.missed) continue;
        std::set<int> lessons;
        for (int k = 0; k < needs.lessons; ++k) lessons.insert(k * 7 / needs.lessons);
        std::vector<int> free;
        for (int d = 0; d < 7; ++d)
            if (!lessons.contains(d)) free.push_back(d);
        const auto add = [&](int day, double minutes, const QString& words, const char* kind) {
            PracticeDate d;
            d.at = days_after(week.from, day) + "T" + at + ":00";
            d.uid = "course-" + d.at + "-" + kind + "@bevel";
            d.title = QStringLiteral("%1: %2").arg(title, words).toStdString();
            d.minutes = static_cast<int>(minutes);
            out.push_back(std::move(d));
        };
        for (const int d : lessons) add(d, week.lesson_minutes, CourseWords::tr("lesson of week %1").arg(w + 1), "lesson");
        const int home = std::min<int>(needs.home_days, static_cast<int>(free.size()));
        for (int k = 0; k < home; ++k)
            add(free[static_cast<std::size_t>(k) * free.size() / static_cast<std::size_t>(home)], week.home_minutes,
                CourseWords::tr("at home, week %1").arg(w + 1), "home");
    }
    return out;
}

} // namespace bevel::ui::text
