// bevel-cli course: from goals to weeks, as text, as a page, as a sheet for the wall and as a calendar.
#include "cli/needs_of.h"
#include "cli/painting.h"
#include "core/days.h"
#include "core/files.h"
#include "desk/needs_file.h"
#include "store/reminder.h"
#include "ui/paint/course_page.h"
#include "ui/text/course_words.h"
#include "ui/text/languages.h"
#include <cstdio>
#include <QDateTime>

namespace bevel::cli {
namespace {

void print(const Course& course, const AskedPlan& asked) {
    for (std::size_t w = 0; w < course.weeks.size(); ++w) {
        const CourseWeek& week = course.weeks[w];
        const auto* fresh = course.fresh_in(w);
        QStringList again;
        for (const auto& t : course.threads)
            if (t.beats[w] == Beat::returns || t.beats[w] == Beat::recalled)
                again << ui::text::thread_title(t, asked.movements, *asked.forms.linked);
        std::printf("%2zu  %s  %-8s%s  new: %s  again: %s%s%s\n", w + 1, week.from.c_str(), std::string(week_kind_name(week.kind)).c_str(),
                    week.missed ? " missed" : "",
                    fresh ? qPrintable(ui::text::thread_title(*fresh, asked.movements, *asked.forms.linked)) : "-",
                    again.isEmpty() ? "-" : qPrintable(again.join(QStringLiteral(", "))), week.clip_asked ? "  clip" : "",
                    week.clip_looked ? "  look" : "");
    }
    for (const auto& l : course.left_out) std::printf("    %s\n", qPrintable(ui::text::not_in_course(l, asked.movements)));
}

} // namespace

int course(const Words& words, const Environment& env) {
    const auto args =
        Args::parse(words, {"-o", "--html", "--pdf", "--ics", "--at", "--title", "--so-far", "--now", "--missed", "--library", "--person"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o"), so_far = args->text("--so-far");
    if (args->positional.size() != 1 || !out) return wrong_use("course takes needs.json and -o course.json");
    if (args->text("--library").has_value() != !args->all("--person").empty()) return wrong_use("--library and --person belong together");
    const auto now = args->number("--now", 1, 2 * most_weeks);
    if (!now) return complain(now.error());
    if (now->has_value() != so_far.has_value()) return wrong_use("--so-far and --now belong together");
    const auto at = args->text("--at").value_or("18:00");
    if (!QTime::fromString(QString::fromStdString(at), QStringLiteral("HH:mm")).isValid()) return wrong_use("--at takes a time, as 18:00");
    const auto text = read_text(args->positional[0], 1U << 20U);
    if (!text) return complain(text.error());
    CourseNeeds needs;
    const auto asked = asked_plan(*args, env, [&](const AskedPlan& a) -> Result<Needs> {
        auto read = parse_course_needs(*text, *a.forms.movements, *a.forms.linked);
        if (!read) return fail(Code::unreadable, args->positional[0] + ": " + read.error().context);
        needs = *read;
        return needs.needs;
    });
    if (!asked) return complain(asked.error());
    needs.needs = asked->needs;
    std::optional<Course> before;
    if (so_far) {
        const auto bytes = read_text(*so_far, 2U << 20U);
        if (!bytes) return complain(bytes.error());
        auto read = parse_course(*bytes);
        if (!read) return complain({Code::unreadable, *so_far + ": " + read.error().context});
        before = std::move(*read);
        for (const auto& m : args->all("--missed")) {
            std::size_t week = 0;
            const auto [end, ec] = std::from_chars(m.data(), m.data() + m.size(), week);
            if (ec != std::errc() || end != m.data() + m.size() || week < 1 || week >= static_cast<std::size_t>(**now) ||
                week > before->weeks.size())
                return wrong_use("--missed takes the number of a week before --now");
            before->weeks[week - 1].missed = true;
        }
    } else if (!args->all("--missed").empty()) {
        return wrong_use("--missed goes with --so-far");
    }
    const auto made =
        propose_course(needs, asked->movements, before ? &*before : nullptr, before ? static_cast<std::size_t>(**now) - 1 : 0);
    if (!made) return complain({Code::cannot_judge, "no course: " + made.error().context});
    // In the language of whom it is for.
    const Painting app(find_data_dir(env.program));
    const auto language = asked->known.size() == 1 ? asked->known.front().facts.language : std::string();
    ui::speak(QString::fromStdString(language.empty() ? "en" : language));
    const auto title =
        QString::fromStdString(args->text("--title").value_or(QCoreApplication::translate("CoursePage", "Course").toStdString()));
    if (auto ok = write_whole(*out, course_text(*made)); !ok) return complain(ok.error());
    if (const auto html = args->text("--html")) {
        const auto page = ui::course_html(title, *made, needs, asked->movements, *asked->forms.linked).toStdString();
        if (auto ok = write_whole(*html, page); !ok) return complain(ok.error());
    }
    if (const auto pdf = args->text("--pdf")) {
        const auto sheet = ui::course_pdf(title, *made, needs, asked->movements, *asked->forms.linked);
        if (!sheet) return complain(sheet.error());
        if (auto ok = write_whole(*pdf, {sheet->constData(), static_cast<std::size_t>(sheet->size())}); !ok) return complain(ok.error());
    }
    if (const auto ics = args->text("--ics")) {
        const auto calendar = calendar_of(ui::text::course_dates(*made, needs, at, title),
                                          QDateTime::currentDateTimeUtc().toString(QStringLiteral("yyyy-MM-ddTHH:mm:ss")).toStdString());
        if (!calendar) return complain(calendar.error());
        if (auto ok = write_whole(*ics, *calendar); !ok) return complain(ok.error());
    }
    print(*made, *asked);
    return 0;
}

} // namespace bevel::cli
