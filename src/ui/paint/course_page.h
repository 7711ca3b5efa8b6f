// A course as one page that needs nothing else: large type, opened off line by the student or put on a wall.
#pragma once
#include "core/form/form.h"
#include "core/practice/course.h"
#include "core/result.h"
#include <filesystem>
#include <functional>
#include <QByteArray>
#include <QString>
#include <stop_token>

namespace bevel::ui {

/// What lies beside the page for a day at home of a week, as a link; empty: nothing does.
using Beside = std::function<QString(std::size_t week)>;

/// A day at home of a week, as it is proposed for a day on which nothing stands against anything else than what is known. As propose.
Result<Plan> home_plan(const Course& course, const CourseNeeds& needs, std::size_t week, const std::vector<Movement>& movements);

/// HTML. `movements`: with the pieces of a form that grows. Of every week what is new, what returns, clips, and what a day at home is made
/// of (proposed as any session, through the gate); at its end the cautions. Nobody's name and no limit stands in it.
QString course_html(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                    const std::vector<LinkedForm>& forms, const Beside& beside = {});

/// For the wall: the threads drawn over the weeks, and a line a week. Nobody's name and no limit stands in it.
Result<QByteArray> course_pdf(const QString& title, const Course& course, const CourseNeeds& needs, const std::vector<Movement>& movements,
                              const std::vector<LinkedForm>& forms);

/// The page as a file, with a film (".mp4") or sound (".ogg") of a day at home of each week beside it, named after it; `ending` empty: the
/// page alone. Weeks before `from` are told of but have nothing beside. A part that cannot be written ends it; cancelled through `stop`.
struct CoursePageJob {
    QString title, ending;
    Course course;
    CourseNeeds needs;
    std::vector<Movement> movements;
    std::vector<LinkedForm> forms;
    std::size_t from = 0;
    std::string language;             // of the voice
    std::filesystem::path own_spoken; // the instructor's recordings
};
Result<bool> write_course_page(const std::filesystem::path& file, const CoursePageJob& job, const std::stop_token& stop,
                               const std::function<void(double)>& progress = {});

} // namespace bevel::ui
