#include "ui/paint/course_page.h"
#include "ui/text/course_words.h"
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct CoursePage {
    Q_DECLARE_TR_FUNCTIONS(CoursePage)
};

QString e(const QString& s) {
    return s.toHtmlEscaped();
}

/// A thread's weeks as marks that are told apart without colour, each with its words.
QString mark(Beat b) {
    switch (b) {
    case Beat::begins:
        return QStringLiteral("▲");
    case Beat::grows:
        return QStringLiteral("△");
    case Beat::returns:
        return QStringLiteral("•");
    case Beat::recalled:
        return QStringLiteral("≈");
    case Beat::not_yet:
    case Beat::rests:
        break;
    }
    return QString();
}

QString threads_table(const Course& course, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms) {
    QString h = QStringLiteral("<table><tr><th></th>");
    for (std::size_t w = 0; w < course.weeks.size(); ++w) h += QStringLiteral("<th>%1</th>").arg(w + 1);
    h += QStringLiteral("</tr>");
    for (const auto& t : course.threads) {
        h += QStringLiteral("<tr><th>%1</th>").arg(e(text::thread_title(t, movements, forms)));
        for (const Beat b : t.beats) h += QStringLiteral("<td title=\"%1\">%2</td>").arg(e(text::beat(b)), mark(b));
        h += QStringLiteral("</tr>");
    }
    QStringList marks;
    for (const Beat b : {Beat::begins, Beat::grows, Beat::returns, Beat::recalled})
        marks << QStringLiteral("%1 %2").arg(mark(b), e(text::beat(b)));
    return h + QStringLiteral("</table><p class=\"small\">%1</p>").arg(marks.join(QStringLiteral(" &nbsp; ")));
}

class Weeks {
public:
    Weeks(const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms)
        : course_(course), needs_(needs), movements_(movements), forms_(forms) {}

    QString html() {
        QString h;
        for (std::size_t w = 0; w < course_.weeks.size(); ++w) h += week(w);
        return h;
    }
    const QStringList& cautions() const { return cautions_; }

private:
    QString week(std::size_t w) {
        const CourseWeek& week = course_.weeks[w];
        QString h =
            QStringLiteral("<section><h2>%1</h2>").arg(e(CoursePage::tr("Week %1, from %2").arg(w + 1).arg(text::day(week.from, true))));
        if (week.missed) return h + QStringLiteral("<p>%1</p></section>").arg(e(CoursePage::tr("Missed.")));
        const QString kind = text::week_kind(week.kind);
        h += QStringLiteral("<p class=\"small\">%1</p>")
                 .arg(e(text::first_large(text::week_amount(week, needs_)) + (kind.isEmpty() ? QString() : QStringLiteral(" · ") + kind)));
        if (const auto* fresh = course_.fresh_in(w)) {
            QString what = text::thread_title(*fresh, movements_, forms_);
            if (fresh->kind == ThreadKind::form && week.parts > 0) what += CoursePage::tr(", up to part %1").arg(week.parts);
            if (fresh->kind == ThreadKind::ladder) what += QStringLiteral(": ") + text::balance_step(week.ladder);
            h += QStringLiteral("<p class=\"new\">%1</p>").arg(e(CoursePage::tr("New: %1").arg(what)));
        }
        QStringList again;
        for (const auto& t : course_.threads)
            if (t.beats[w] == Beat::returns || t.beats[w] == Beat::recalled) again << text::thread_title(t, movements_, forms_);
        if (!again.isEmpty())
            h += QStringLiteral("<p>%1</p>")
                     .arg(e((week.kind == WeekKind::recall ? CoursePage::tr("From memory: %1") : CoursePage::tr("Again: %1"))
                                .arg(again.join(QStringLiteral("; ")))));
        for (const auto& c : text::week_clips(week)) h += QStringLiteral("<p>%1</p>").arg(e(c));
        if (needs_.home_days > 0) h += home(w);
        return h + QStringLiteral("</section>");
    }

    /// A day at home, as it is proposed for a day on which nothing stands against anything else than what is known.
    QString home(std::size_t w) {
        const auto plan = propose(day_of_course(course_, needs_, w, true, needs_.needs), movements_);
        if (!plan) return {};
        QString h = QStringLiteral("<h3>%1</h3><ol>").arg(e(CoursePage::tr("A day at home")));
        for (const auto& i : plan->items) {
            for (const auto& c : i.cautions) cautions_ << text::caution(QString::fromStdString(c));
            if (i.part == PlanPart::settling || i.round > 1) continue;
            PlanItem once = i;
            once.rounds = 0;
            QString amount = text::item_amount(once);
            if (i.rounds > 1) amount = CoursePage::tr("%1, %2 rounds").arg(amount).arg(i.rounds);
            h += QStringLiteral("<li>%1 <span class=\"small\">%2</span></li>").arg(e(text::item_title(i, movements_)), e(amount));
        }
        return h + QStringLiteral("</ol>");
    }

    const Course& course_;
    const CourseNeeds& needs_;
    const std::vector<Movement>& movements_;
    const std::vector<LinkedForm>& forms_;
    QStringList cautions_;
};

} // namespace

QString course_html(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                    const std::vector<LinkedForm>& forms) {
    Weeks weeks(course, needs, movements, forms);
    const QString all = weeks.html();
    QString h =
        QStringLiteral(
            "<!DOCTYPE html><html><head><meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width\"><title>%1</title>"
            "<style>body{font:20px/1.5 sans-serif;max-width:44em;margin:1em auto;padding:0 1em;color:#222;background:#fdfcf9}"
            "h1{font-size:1.7em}h2{font-size:1.25em;border-top:2px solid #888;padding-top:.6em}h3{font-size:1em;margin-bottom:.2em}"
            "table{border-collapse:collapse}td,th{padding:.2em .5em;text-align:center;border-bottom:1px solid #ccc}"
            "tr th:first-child{text-align:left;font-weight:normal}.small{font-size:.85em;color:#555}.new{font-weight:bold}"
            "@media print{section{break-inside:avoid}}</style></head><body><h1>%1</h1>")
            .arg(e(title));
    h += threads_table(course, movements, forms) + all;
    QStringList cautions = weeks.cautions();
    cautions << text::caution(QStringLiteral("general"));
    cautions.removeDuplicates();
    for (const auto& c : cautions) h += QStringLiteral("<p><b>%1</b></p>").arg(e(c));
    return h + QStringLiteral("</body></html>\n");
}

} // namespace bevel::ui
