#include "ui/text/course_words.h"
#include "core/movement/rules.h"
#include <algorithm>
#include <QCoreApplication>
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

} // namespace bevel::ui::text
