// What is done to a course: each a step that can be undone, kept with the person.
#include "ui/shell/step.h"
#include "ui/text/course_words.h"
#include "ui/weeks/weeks_view.h"
#include <QComboBox>
#include <QDate>
#include <QPushButton>

namespace bevel::ui {

void WeeksView::form_changed() {
    if (owner_ == 0 || course_.made.weeks.empty()) return;
    try_wish(form_->wish(), form_->course_title(), tr("what the course is asked for"));
}

void WeeksView::try_wish(CourseWish wish, const QString& title, const QString& step) {
    CourseOf after = course_;
    after.title = title.toStdString();
    if (wish == course_.wish && after.title == course_.title) return;
    if (!(wish == course_.wish)) {
        const auto so_far = course_.id != 0 ? &course_.made : nullptr;
        auto made = make_course(wish, sheet_, forms(), so_far, today().toStdString());
        if (!made) {
            const std::string& where = made.error().context;
            return notice_->problem(where == "begins" ? tr("Only one new thing begins in a week, and none in a lighter or a recall week.")
                                    : where == "days" ? tr("A course needs a lesson or a day at home in its weeks.")
                                    : where == "now"  ? tr("So many weeks are over already: give it more.")
                                                      : text::error(made.error()));
        }
        after.wish = std::move(wish);
        after.made = std::move(*made);
        after.made_of = basis_of(sheet_);
    }
    change_to(std::move(after), step);
}

/// What is not kept yet is only shown; else it is a step that can be undone.
void WeeksView::change_to(CourseOf after, const QString& step) {
    if (after.id == 0) return show_course(after);
    if (session_.library->read_only()) {
        show_course(course_); // what stands in the form is what is kept
        return problem({Code::write_failed, "read_only"});
    }
    undo_.push(new Step<CourseStep>(step, [this](const CourseStep& s) { apply(s); }, {course_, true}, {std::move(after), true}));
}

void WeeksView::apply(const CourseStep& step) {
    if (of(step.course) == owner_ && step.there) show_course(step.course);
    const int run = of(step.course) == owner_ ? ++run_ : run_;
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, step](std::stop_token) -> Result<bool> {
            if (!step.there) return lib->courses().drop(step.course.id);
            return keep_course(*lib, step.course).map([](std::int64_t) { return true; });
        },
        [this, run, step](const Result<bool>& ok) {
            if (!ok) return problem(ok.error());
            if (of(step.course) != owner_ || run != run_) return emit kept();
            auto& all = sheet_.courses;
            const auto it = std::find_if(all.begin(), all.end(), [&](const CourseOf& c) { return c.id == step.course.id; });
            if (!step.there) {
                if (it != all.end()) all.erase(it);
                all.empty() ? begin_another() : show_course(all.front());
            } else if (it != all.end()) {
                *it = step.course;
                fill_choice();
            } else {
                all.insert(all.begin(), step.course);
                fill_choice();
            }
            emit kept();
        });
}

void WeeksView::keep_it() {
    if (course_.id != 0 || owner_ == 0 || course_.made.weeks.empty()) return;
    keep_->setEnabled(false);
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, c = course_](std::stop_token) { return keep_course(*lib, c); },
        [this, c = course_](const Result<std::int64_t>& id) mutable {
            keep_->setEnabled(true);
            if (!id) return problem(id.error());
            c.id = *id;
            if (of(c) != owner_) return;
            sheet_.courses.insert(sheet_.courses.begin(), c);
            show_course(c);
            emit kept();
        });
}

void WeeksView::remove() {
    if (course_.id == 0) return;
    undo_.push(
        new Step<CourseStep>(tr("a course taken out"), [this](const CourseStep& s) { apply(s); }, {course_, true}, {course_, false}));
}

void WeeksView::make_anew() {
    if (course_.made.weeks.empty()) return;
    auto made = make_course(course_.wish, sheet_, forms(), course_.id != 0 ? &course_.made : nullptr, today().toStdString());
    if (!made) return problem(made.error());
    CourseOf after = course_;
    after.made = std::move(*made);
    after.made_of = basis_of(sheet_);
    if (after == course_) return notice_->say(tr("The weeks stay as they are."));
    change_to(std::move(after), tr("the weeks of a course made anew"));
}

void WeeksView::begin_in(const QString& key, int week) {
    const auto over = course_.id != 0 ? weeks_over(course_.made, today().toStdString()) : 0;
    for (const auto& t : course_.made.threads) {
        if (t.key() != key.toStdString()) continue;
        const bool begun = std::any_of(t.beats.begin(), t.beats.begin() + static_cast<std::ptrdiff_t>(std::min(over, t.beats.size())),
                                       [](Beat b) { return b != Beat::not_yet && b != Beat::rests; });
        if (t.known || begun || static_cast<std::size_t>(week) < over)
            return notice_->say(t.known ? tr("That is known already: it only comes back.")
                                : begun ? tr("That has begun already.")
                                        : tr("That week is over."));
    }
    CourseWish wish = form_->wish();
    wish.begins[key.toStdString()] = week + 1;
    try_wish(wish, form_->course_title(), tr("when a thread begins"));
}

void WeeksView::release(const QString& key) {
    CourseWish wish = form_->wish();
    if (wish.begins.erase(key.toStdString()) > 0) try_wish(wish, form_->course_title(), tr("when a thread begins"));
}

void WeeksView::toggle_missed(int week) {
    const std::string day = today().toStdString();
    if (course_.id == 0 || week < 0 || static_cast<std::size_t>(week) >= weeks_over(course_.made, day))
        return notice_->say(tr("Only a week that is over can have been missed."));
    CourseOf after = course_;
    auto& w = after.made.weeks[static_cast<std::size_t>(week)];
    w.missed = !w.missed;
    auto made = make_course(after.wish, sheet_, forms(), &after.made, day);
    if (!made) return problem(made.error());
    after.made = std::move(*made);
    after.made_of = basis_of(sheet_);
    change_to(std::move(after), tr("a missed week"));
}

void WeeksView::ask_for_day(bool at_home) {
    const QModelIndex i = table_->currentIndex();
    if (!i.isValid() || owner_ == 0 || !(at_home ? home_ : lesson_)->isEnabled()) return;
    const auto w = static_cast<std::size_t>(i.column());
    if (classes_) { // the lesson asks for who is there, and for the week itself
        const auto& from = course_.made.weeks[w].from;
        const QDate first = QDate::fromString(QString::fromStdString(from), Qt::ISODate);
        const int later = group_.weekday > 0 ? (group_.weekday - first.dayOfWeek() + 7) % 7 : 0;
        return emit lesson_wanted(days_after(from, later));
    }
    const auto n = needs();
    if (n.needs.form) session_.practise(n.needs.form->form, false);
    emit day_wanted(day_of_course(course_.made, n, w, at_home, n.needs),
                    (at_home ? tr("Day at home of week %1 of “%2”") : tr("Lesson of week %1 of “%2”"))
                        .arg(w + 1)
                        .arg(QString::fromStdString(course_.title)));
}

} // namespace bevel::ui
