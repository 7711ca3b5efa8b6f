#include "ui/paint/course_page.h"
#include "core/files.h"
#include "media/sound.h"
#include "ui/paint/course_chart.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/practice_picture.h"
#include "ui/text/course_words.h"
#include <QCoreApplication>
#include <QPainter>
#include <QUrl>

namespace bevel::ui {
namespace {

constexpr int sheet_wide = 820; // of the chart on an A4 page that lies

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
        return QStringLiteral("●");
    case Beat::recalled:
        return QStringLiteral("○");
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

QString new_in_week(const Course& course, std::size_t w, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms) {
    const auto* fresh = course.fresh_in(w);
    if (!fresh) return {};
    QString what = text::thread_title(*fresh, movements, forms);
    if (fresh->kind == ThreadKind::form && course.weeks[w].parts > 0) what += CoursePage::tr(", up to part %1").arg(course.weeks[w].parts);
    if (fresh->kind == ThreadKind::ladder) what += QStringLiteral(": ") + text::balance_step(course.weeks[w].ladder);
    return what;
}

class Weeks {
public:
    Weeks(const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements, const std::vector<LinkedForm>& forms,
          const Beside& beside)
        : course_(course), needs_(needs), movements_(movements), forms_(forms), beside_(beside) {}

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
        if (const QString what = new_in_week(course_, w, movements_, forms_); !what.isEmpty())
            h += QStringLiteral("<p class=\"new\">%1</p>").arg(e(CoursePage::tr("New: %1").arg(what)));
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

    QString home(std::size_t w) {
        const auto plan = home_plan(course_, needs_, w, movements_);
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
        h += QStringLiteral("</ol>");
        if (const QString link = beside_ ? beside_(w) : QString(); !link.isEmpty())
            h += QStringLiteral("<p><a href=\"%1\">%2</a></p>").arg(e(link), e(CoursePage::tr("Practise along with it")));
        return h;
    }

    const Course& course_;
    const CourseNeeds& needs_;
    const std::vector<Movement>& movements_;
    const std::vector<LinkedForm>& forms_;
    const Beside& beside_;
    QStringList cautions_;
};

QString all_cautions(QStringList cautions) {
    cautions << text::caution(QStringLiteral("general"));
    cautions.removeDuplicates();
    QString h;
    for (const auto& c : cautions) h += QStringLiteral("<p><b>%1</b></p>").arg(e(c));
    return h;
}

} // namespace

QString course_html(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                    const std::vector<LinkedForm>& forms, const Beside& beside) {
    Weeks weeks(course, needs, movements, forms, beside);
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
    return h + all_cautions(weeks.cautions()) + QStringLiteral("</body></html>\n");
}

Result<Plan> home_plan(const Course& course, const CourseNeeds& needs, std::size_t week, const std::vector<Movement>& movements) {
    return propose(day_of_course(course, needs, week, true, needs.needs), movements);
}

Result<QByteArray> course_pdf(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                              const std::vector<LinkedForm>& forms) {
    QStringList titles, marks;
    for (const auto& t : course.threads) titles << text::thread_title(t, movements, forms);
    PagePdf page;
    page.title = title;
    page.landscape = true;
    page.font = Theme().font(10);
    page.html = QStringLiteral("<h1>%1</h1><p><img src=\"threads\" width=\"%2\"></p><p>").arg(e(title)).arg(sheet_wide);
    page.images = {{QStringLiteral("threads"), course_chart(course, titles, Theme(), sheet_wide)}};
    for (const Beat b : {Beat::begins, Beat::grows, Beat::returns, Beat::recalled}) {
        QImage mark(36, 36, QImage::Format_RGB32);
        mark.fill(Qt::white);
        QPainter p(&mark);
        p.setRenderHint(QPainter::Antialiasing);
        p.scale(2, 2);
        draw_beat_mark(p, QRectF(0, 0, 18, 18), b, Palette::light());
        const QString name = QString::fromStdString(std::string(beat_name(b)));
        page.images[name] = mark;
        page.html += QStringLiteral("<img src=\"%1\" width=\"14\"> %2 &nbsp; ").arg(name, e(text::beat(b)));
    }
    page.html += QStringLiteral("</p><table width=\"100%\" cellpadding=\"3\">");
    for (std::size_t w = 0; w < course.weeks.size(); ++w) {
        const CourseWeek& week = course.weeks[w];
        QStringList words;
        if (week.missed) {
            words << CoursePage::tr("Missed.");
        } else {
            if (const QString what = new_in_week(course, w, movements, forms); !what.isEmpty())
                words << CoursePage::tr("New: %1").arg(what) + QLatin1Char('.');
            if (const QString kind = text::week_kind(week.kind); !kind.isEmpty()) words << text::first_large(kind) + QLatin1Char('.');
            words << text::first_large(text::week_amount(week, needs)) + QLatin1Char('.') << text::week_clips(week);
        }
        page.html +=
            QStringLiteral("%1<td width=\"50%\"><b>%2</b> %3</td>%4")
                .arg(w % 2 == 0 ? QStringLiteral("<tr>") : QString())
                .arg(e(CoursePage::tr("Week %1, from %2").arg(w + 1).arg(text::day(week.from, true))), e(words.join(QLatin1Char(' '))))
                .arg(w % 2 == 1 || w + 1 == course.weeks.size() ? QStringLiteral("</tr>") : QString());
    }
    page.html += QStringLiteral("</table>") + all_cautions({});
    return page_pdf(page);
}

Result<bool> write_course_page(const std::filesystem::path& file, const CoursePageJob& job, const std::stop_token& stop,
                               const std::function<void(double)>& progress) {
    const auto name = [&](std::size_t w) {
        return file.stem().string() + "-" + CoursePage::tr("week").toStdString() + "-" + std::to_string(w + 1) + "." +
               job.ending.toStdString();
    };
    std::map<std::size_t, QString> written;
    for (std::size_t w = job.from; w < job.course.weeks.size() && !job.ending.isEmpty(); ++w) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        if (job.course.weeks[w].missed || job.course.weeks[w].home_minutes <= 0) continue;
        const auto plan = home_plan(job.course, job.needs, w, job.movements);
        if (!plan) continue; // the page says no day of that week either
        const auto share = [&](double within) {
            if (progress) progress((static_cast<double>(w) + within) / static_cast<double>(job.course.weeks.size()));
        };
        share(0);
        PracticeFilm film;
        film.plan = *plan;
        film.options.in_s = film.options.out_s = plan->breath_s / 2;
        film.spoken = true;
        film.language = job.language;
        const auto to = file.parent_path() / name(w);
        if (job.ending == QLatin1String("mp4")) {
            if (auto ok = write_practice_film(to, film, job.movements, stop, share); !ok) return ok;
        } else {
            const Timeline t = timeline_of(film.plan, job.movements, film.options);
            auto words = spoken_of(t, job.movements, film.language, job.own_spoken, stop);
            if (!words) return tl::unexpected(words.error());
            if (auto ok = write_sound(to, SoundTrack(t, sound_rate, std::move(*words)), stop); !ok) return ok;
        }
        written[w] = QString::fromStdString(name(w));
    }
    const auto beside = [&](std::size_t w) {
        const auto it = written.find(w);
        return it == written.end() ? QString() : QString::fromLatin1(QUrl::toPercentEncoding(it->second));
    };
    const auto html = course_html(job.title, job.course, job.needs, job.movements, job.forms, beside);
    return write_whole(file, html.toStdString());
}

} // namespace bevel::ui
