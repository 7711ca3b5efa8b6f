// A course on paper, in a calendar, and as a page for the student.
#include "core/files.h"
#include "store/reminder.h"
#include "ui/jobs/jobs.h"
#include "ui/paint/course_page.h"
#include "ui/text/course_words.h"
#include "ui/text/languages.h"
#include "ui/weeks/weeks_view.h"
#include <QFileInfo>
#include <QPointer>

namespace bevel::ui {

void WeeksView::export_to(const QString& file, const QString& beside) {
    if (course_.made.weeks.empty()) return;
    CoursePageJob page;
    page.title = QString::fromStdString(course_.title);
    page.ending = beside;
    page.course = course_.made;
    page.needs = needs();
    page.movements = movements_;
    page.forms = *forms().linked;
    page.from = std::min(weeks_over(course_.made, today().toStdString()), course_.made.weeks.size());
    page.language = spoken_language().toStdString();
    page.own_spoken = session_.library->folder() / "spoken";
    auto stop = std::make_shared<std::stop_source>();
    const int job =
        session_.jobs->begin(JobKind::writing, tr("Writing %1").arg(QFileInfo(file).fileName()), [stop] { stop->request_stop(); });
    session_.files().run<Result<bool>>(
        this,
        [page, stop, path = std::filesystem::path(file.toStdString()), ending = QFileInfo(file).suffix().toLower(),
         at = classes_ && !group_.at.empty() ? group_.at : std::string("18:00"), now = QDateTime::currentDateTimeUtc(),
         jobs = QPointer<Jobs>(session_.jobs), lane = &session_.files(), job](const std::stop_token& quit) -> Result<bool> {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            if (ending == QLatin1String("pdf")) {
                const auto bytes = course_pdf(page.title, page.course, page.needs, page.movements, page.forms);
                if (!bytes) return tl::unexpected(bytes.error());
                return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
            }
            if (ending == QLatin1String("ics")) {
                const auto dates = text::course_dates(page.course, page.needs, at, page.title);
                const auto calendar = calendar_of(dates, now.toString(QStringLiteral("yyyy-MM-ddTHH:mm:ss")).toStdString());
                if (!calendar) return tl::unexpected(calendar.error());
                return write_whole(path, *calendar);
            }
            return write_course_page(path, page, stop->get_token(), [jobs, lane, job](double share) {
                lane->report(jobs.data(), [jobs, job, share] { jobs->progress(job, share); });
            });
        },
        [this, file, job](const Result<bool>& ok) {
            const bool cancelled = !ok && ok.error().code == Code::cancelled;
            session_.jobs->end(job, ok ? JobOutcome::done : cancelled ? JobOutcome::cancelled : JobOutcome::failed);
            if (!ok) return problem(ok.error());
            session_.settings.export_folder = QFileInfo(file).absolutePath();
            notice_->say(tr("Saved: %1").arg(file));
            emit exported(file);
        });
}

} // namespace bevel::ui
