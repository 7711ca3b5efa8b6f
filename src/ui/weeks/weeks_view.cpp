#include "ui/weeks/weeks_view.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/step.h"
#include "ui/text/course_words.h"
#include "ui/text/languages.h"
#include <QComboBox>
#include <QDate>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace bevel::ui {

WeeksView::WeeksView(Session& session, QUndoStack& undo, bool classes, QWidget* parent)
    : QWidget(parent), session_(session), undo_(undo), classes_(classes) {
    form_ = new CourseForm(session_, classes_);
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("What the course is asked for"));
    scroll->setWidget(form_);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    keep_ = new QPushButton(tr("Keep this course"));
    keep_->setObjectName(QStringLiteral("primary"));
    connect(keep_, &QPushButton::clicked, this, &WeeksView::keep_it);
    auto* left = new QWidget;
    left->setFixedWidth(session_.theme.wide(292));
    auto* left_box = new QVBoxLayout(left);
    left_box->setContentsMargins(0, 6, 0, 0);
    left_box->addWidget(scroll, 1);
    left_box->addWidget(keep_);
    model_ = new ThreadsModel(this);
    table_ = new ThreadsTable(session_, model_);
    notice_ = new Notice;
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("faint"));
    words_->setWordWrap(true);
    left_ = left;
    asked_ = new QPushButton(tr("What it is asked for"));
    asked_->setObjectName(QStringLiteral("courseAsked"));
    asked_->setCheckable(true);
    connect(asked_, &QPushButton::toggled, this, &WeeksView::lay_out);
    right_ = new QWidget;
    right_->setObjectName(QStringLiteral("inCard"));
    auto* right = new QVBoxLayout(right_);
    right->setContentsMargins(6, 6, 0, 0);
    right->addLayout(build_top());
    right->addWidget(notice_);
    right->addWidget(table_, 1);
    right->addWidget(words_);
    right->addLayout(build_below());
    auto* row = new QHBoxLayout;
    row->addWidget(left);
    row->addWidget(right_, 1);
    row->addStretch(0);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(4, 4, 4, 4);
    all->addWidget(asked_, 0, Qt::AlignLeft);
    all->addLayout(row, 1);
    lay_out();
    connect(form_, &CourseForm::person_chosen, this, &WeeksView::person_chosen);
    connect(form_, &CourseForm::changed, this, &WeeksView::form_changed);
    connect(table_, &ThreadsTable::begins_asked, this, &WeeksView::begin_in);
    connect(table_, &ThreadsTable::released, this, &WeeksView::release);
    connect(table_, &ThreadsTable::missed_asked, this, &WeeksView::toggle_missed);
    connect(table_, &QTableView::activated, this, [this] { ask_for_day(false); });
    connect(table_->selectionModel(), &QItemSelectionModel::currentChanged, this, [this] { fill_week(); });
    fill();
}

/// Which course, and what can be done with all of it.
QLayout* WeeksView::build_top() {
    const auto button = [&](const char* id, const QString& label, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(id));
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    choice_ = new QComboBox;
    choice_->setObjectName(QStringLiteral("courseChoice"));
    choice_->setAccessibleName(classes_ ? tr("Which course of this class") : tr("Which course of this person"));
    choice_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    choice_->setMinimumContentsLength(24);
    connect(choice_, &QComboBox::activated, this, [this](int at) {
        if (at >= 0 && at < static_cast<int>(sheet_.courses.size())) show_course(sheet_.courses[static_cast<std::size_t>(at)]);
    });
    another_ = button("courseAnother", tr("Another one"), [this] { begin_another(); });
    anew_ = button("courseAnew", tr("Weeks anew"), [this] { make_anew(); });
    anew_->setToolTip(classes_ ? tr("From this week on, by what is known of the class today")
                               : tr("From this week on, by what is known of the person today"));
    remove_ = button("courseRemove", tr("Take out"), [this] { remove(); });
    export_ = new QPushButton(tr("Export"));
    export_->setObjectName(QStringLiteral("courseExport"));
    auto* menu = new QMenu(export_);
    menu->setObjectName(QStringLiteral("courseExports"));
    for (const auto& [label, name, kinds, beside] : {std::tuple{tr("Sheet for the wall as PDF …"), "course.pdf", tr("PDF (*.pdf)"), ""},
                                                     {tr("Web page, large type …"), "course.html", tr("HTML (*.html)"), ""},
                                                     {tr("Web page with sound beside it …"), "course.html", tr("HTML (*.html)"), "ogg"},
                                                     {tr("Web page with films beside it …"), "course.html", tr("HTML (*.html)"), "mp4"},
                                                     {tr("Calendar …"), "course.ics", tr("Calendar (*.ics)"), ""}}) {
        if (classes_ && *beside != 0) continue; // beside the page lie days at home, and a class has none
        connect(menu->addAction(label), &QAction::triggered, this,
                [this, l = label, n = QString::fromLatin1(name), k = kinds, b = QString::fromLatin1(beside)] {
                    const QString& folder = session_.settings.export_folder;
                    const QString file = QFileDialog::getSaveFileName(this, l, folder.isEmpty() ? n : folder + QLatin1Char('/') + n, k);
                    if (!file.isEmpty()) export_to(file, b);
                });
    }
    export_->setMenu(menu);
    auto* acts = new FlowLayout;
    acts->setSpacing(6);
    for (auto* b : {another_, anew_, remove_, export_}) acts->addWidget(b);
    auto* top = new QHBoxLayout;
    top->addWidget(choice_, 2);
    top->addLayout(acts, 3);
    return top;
}

/// The chosen week and thread in words, and what can be done with them.
QLayout* WeeksView::build_below() {
    const auto label = [](const char* id) {
        auto* l = new QLabel;
        l->setObjectName(QLatin1String(id));
        l->setWordWrap(true);
        l->setTextFormat(Qt::PlainText); // names and titles are data
        l->setAlignment(Qt::AlignTop | Qt::AlignLeft);
        l->setTextInteractionFlags(Qt::TextSelectableByMouse);
        return l;
    };
    week_ = label("courseWeek");
    why_ = label("courseWhy");
    left_out_ = label("courseLeftOut");
    left_out_->setObjectName(QStringLiteral("faint"));
    const auto button = [&](const char* id, const QString& words, auto go) {
        auto* b = new QPushButton(words);
        b->setObjectName(QLatin1String(id));
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    lesson_ = button("courseLesson", tr("Plan a lesson of it …"), [this] { ask_for_day(false); });
    home_ = button("courseHome", tr("Plan a day at home …"), [this] { ask_for_day(true); });
    if (classes_) home_->hide();
    begins_ = button("courseBegins", tr("Begins in this week"), [this] {
        const QModelIndex i = table_->currentIndex();
        const CourseThread* t = i.isValid() ? model_->thread(i.row()) : nullptr;
        if (!t) return;
        const QString key = QString::fromStdString(t->key());
        model_->by_hand(i.row()) == i.column() + 1 ? release(key) : begin_in(key, i.column());
    });
    missed_ = button("courseWeekMissed", tr("This week was missed"), [this] {
        if (table_->currentIndex().isValid()) toggle_missed(table_->currentIndex().column());
    });
    auto* words = new QHBoxLayout;
    words->setSpacing(18);
    words->addWidget(week_, 1);
    words->addWidget(why_, 1);
    auto* acts = new FlowLayout;
    acts->setSpacing(6);
    for (auto* b : {lesson_, home_, begins_, missed_}) acts->addWidget(b);
    auto* box = new QVBoxLayout;
    box->addLayout(words);
    box->addWidget(left_out_);
    box->addLayout(acts);
    return box;
}

QString WeeksView::today() const {
    return QDate::currentDate().toString(Qt::ISODate);
}
CourseNeeds WeeksView::needs() const {
    return needs_of_course(course_.wish, sheet_, forms());
}
void WeeksView::problem(const Error& e) {
    notice_->problem(text::error(e));
}
QStringList WeeksView::titles() const {
    QStringList out;
    const auto all = forms();
    for (const auto& t : course_.made.threads) {
        QString words = text::thread_title(t, *all.movements, *all.linked);
        if (t.kind == ThreadKind::rule) { // the movement, and what is asked of it below
            const QString movement = text::thread_title({ThreadKind::movement, t.of, "", "", true, {}}, *all.movements, *all.linked);
            words = movement + QLatin1Char('\n') + words.mid(movement.size() + 2);
        }
        out << words;
    }
    return out;
}

void WeeksView::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    lay_out();
}

void WeeksView::lay_out() {
    constexpr int room_for_both = 720;
    const bool narrow = width() < session_.theme.wide(room_for_both);
    asked_->setVisible(narrow);
    left_->setVisible(!narrow || asked_->isChecked());
    right_->setVisible(!narrow || !asked_->isChecked());
}

/// Clips may have to be looked at, and are only while the weeks are.
void WeeksView::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    load();
}

void WeeksView::show_class(const ClassGroup& group) {
    group_ = group;
    show_owner(group.id);
}

void WeeksView::show_owner(qint64 id) {
    if (id != owner_) { // nothing of the last one stays to be seen
        owner_ = id;
        sheet_ = {};
        course_ = {};
        fill();
    }
    if (isVisible()) load();
}

void WeeksView::load() {
    const int run = ++run_;
    if (owner_ == 0) return fill();
    session_.files().run<Result<CourseSheet>>(
        this,
        [lib = session_.library, id = owner_, day = today().toStdString(), all = forms(), classes = classes_](std::stop_token) {
            return classes ? class_course_sheet(*lib, all, id, day) : course_sheet(*lib, all, id, day);
        },
        [this, run](Result<CourseSheet> sheet) {
            if (run != run_) return;
            if (!sheet) return problem(sheet.error());
            take(std::move(*sheet));
        });
}

void WeeksView::take(CourseSheet sheet) {
    const auto before = course_;
    sheet_ = std::move(sheet);
    const auto it = std::find_if(sheet_.courses.begin(), sheet_.courses.end(), [&](const CourseOf& c) { return c.id == before.id; });
    if (before.id == 0 && of(before) == owner_ && !before.made.weeks.empty()) { // not kept yet: it stays as it was wished for
        auto made = make_course(before.wish, sheet_, forms(), nullptr, today().toStdString());
        CourseOf draft = before;
        if (made) draft.made = std::move(*made), draft.made_of = basis_of(sheet_);
        show_course(draft);
    } else if (it != sheet_.courses.end())
        show_course(*it);
    else if (!sheet_.courses.empty())
        show_course(sheet_.courses.front());
    else
        begin_another();
    emit filled();
}

void WeeksView::begin_another() {
    if (owner_ == 0) return;
    CourseOf c;
    const QDate day = QDate::currentDate();
    int first = 1; // its weeks begin on a Monday, those of a class on its day
    if (classes_) {
        c.group = owner_;
        c.wish.home_days = 0;
        c.wish.lesson_minutes = group_.minutes;
        c.wish.chair = group_.chair, c.wish.wall = group_.wall, c.wish.stick = group_.stick;
        if (group_.weekday > 0) first = group_.weekday;
    } else {
        c.person = owner_;
    }
    c.wish.from = day.addDays((first - day.dayOfWeek() + 7) % 7).toString(Qt::ISODate).toStdString();
    c.title = tr("Course from %1").arg(text::day(c.wish.from, true)).toStdString();
    auto made = make_course(c.wish, sheet_, forms(), nullptr, today().toStdString());
    if (!made) return problem(made.error());
    c.made = std::move(*made);
    c.made_of = basis_of(sheet_);
    show_course(c);
}

void WeeksView::show_course(const CourseOf& course) {
    course_ = course;
    movements_ = movements_of_course(course_.wish, forms());
    form_->show_course(QString::fromStdString(course.title), course.wish,
                       course.id != 0 && weeks_over(course.made, today().toStdString()) > 0);
    fill();
    say_what_happened();
}

void WeeksView::fill() {
    const bool any = owner_ != 0 && !course_.made.weeks.empty(), writes = !session_.library->read_only();
    const auto over = weeks_over(course_.made, today().toStdString());
    const bool begun = any && course_.made.weeks.front().from <= today().toStdString();
    const QModelIndex at = table_->currentIndex(); // it stays with its thread and week, whatever comes in above
    const CourseThread* of = at.isValid() ? model_->thread(at.row()) : nullptr;
    const std::string key = of ? of->key() : std::string();
    const int column = at.isValid() ? at.column() : -1;
    model_->show(course_.made, titles(), begun ? over : course_.made.weeks.size(), course_.wish.begins);
    table_->fit();
    if (any) {
        int row = 0;
        for (int r = 1; r < model_->rowCount() && !key.empty(); ++r)
            if (model_->thread(r)->key() == key) row = r;
        const auto week =
            column >= 0 && column < model_->columnCount() ? column : static_cast<int>(std::min(over, course_.made.weeks.size() - 1));
        table_->setCurrentIndex(model_->index(row, week));
    }
    keep_->setVisible(course_.id == 0);
    keep_->setEnabled(any && writes);
    another_->setEnabled(owner_ != 0 && writes && course_.id != 0);
    anew_->setEnabled(any && (writes || course_.id == 0));
    remove_->setEnabled(any && course_.id != 0 && writes);
    export_->setEnabled(any);
    words_->setText(owner_ == 0
                        ? (classes_ ? tr("A course of the class: choose which class, or make one.")
                                    : tr("A course is of one person: choose whose. What is known of them decides what may be in it."))
                        : tr("▲ new   △ goes on   ● again   ○ from memory   dotted: it rests   frame: a clip is asked for   eye: it is "
                             "looked at"));
    QStringList left;
    for (const auto& l : course_.made.left_out) left << text::not_in_course(l, movements_);
    left_out_->setText(left.join(QLatin1Char('\n')));
    left_out_->setVisible(!left.isEmpty());
    fill_choice();
    fill_week();
}

void WeeksView::fill_choice() {
    const QSignalBlocker quiet(choice_);
    choice_->clear();
    int at = -1;
    for (const auto& c : sheet_.courses) {
        choice_->addItem(c.title.empty() ? tr("Course from %1").arg(text::day(c.wish.from, true)) : QString::fromStdString(c.title));
        if (c.id == course_.id) at = choice_->count() - 1;
    }
    if (at < 0 && owner_ != 0) {
        choice_->addItem(tr("a new course, not kept yet"));
        at = choice_->count() - 1;
    }
    choice_->setCurrentIndex(at);
    choice_->setEnabled(choice_->count() > 1);
}

void WeeksView::fill_week() {
    const QModelIndex i = table_->currentIndex();
    const bool any = i.isValid() && i.column() < static_cast<int>(course_.made.weeks.size()) && owner_ != 0;
    const bool writes = !session_.library->read_only() || course_.id == 0;
    for (auto* b : {lesson_, home_, begins_, missed_}) b->setEnabled(any);
    if (!any) {
        week_->clear();
        why_->clear();
        return;
    }
    const auto w = static_cast<std::size_t>(i.column());
    const CourseWeek& week = course_.made.weeks[w];
    const auto all = forms();
    QStringList words{tr("Week %1, from %2").arg(w + 1).arg(text::day(week.from, true)) + QLatin1String(": ") +
                      text::week_amount(week, needs()) + QLatin1Char('.')};
    if (week.missed) words << tr("Missed.");
    if (const QString kind = text::week_kind(week.kind); !kind.isEmpty()) words << text::first_large(kind) + QLatin1Char('.');
    if (const auto* fresh = course_.made.fresh_in(w)) words << tr("New: %1.").arg(text::thread_title(*fresh, *all.movements, *all.linked));
    QStringList again;
    for (const auto& t : course_.made.threads)
        if (t.beats[w] == Beat::returns || t.beats[w] == Beat::recalled) again << text::thread_title(t, *all.movements, *all.linked);
    if (!again.isEmpty()) words << tr("Again: %1.").arg(again.join(QStringLiteral(", ")));
    words << text::week_clips(week);
    week_->setText(words.join(QLatin1Char(' ')));
    const CourseThread* t = model_->thread(i.row());
    why_->setText(t ? tr("%1. %2").arg(text::thread_title(*t, *all.movements, *all.linked),
                                       text::why_in_week(course_.made, *t, w, model_->by_hand(i.row()), movements_))
                    : tr("Choose a thread to see what it does in this week, and why."));
    const bool past = course_.id != 0 && w < weeks_over(course_.made, today().toStdString());
    const bool held = t && model_->by_hand(i.row()) == i.column() + 1;
    lesson_->setEnabled(week.lesson_minutes > 0 && !week.missed), home_->setEnabled(week.home_minutes > 0 && !week.missed);
    begins_->setText(held ? tr("Leave that to the course") : tr("Begins in this week"));
    begins_->setEnabled(t && !past && writes && (!t->known || held));
    missed_->setText(week.missed ? tr("This week was not missed") : tr("This week was missed"));
    missed_->setEnabled(past && writes);
}

/// What is known now and was not when the weeks were made; weeks in which nothing was done; pain.
void WeeksView::say_what_happened() {
    notice_->say({});
    if (course_.id == 0 || owner_ == 0) return;
    const std::string day = today().toStdString();
    const auto now = weeks_over(course_.made, day);
    if (now >= course_.made.weeks.size()) return;
    const auto all = forms();
    if (basis_of(sheet_) != course_.made_of) {
        const auto made = make_course(course_.wish, sheet_, all, &course_.made, day);
        if (!made) return problem(made.error());
        QStringList words;
        for (const auto& c : changes_of(course_.made, *made, now))
            words << text::course_change(c, course_.made, *made, *all.movements, *all.linked);
        if (!words.isEmpty())
            return notice_->problem(
                tr("What is known of %1 has changed since: %2.").arg(QString::fromStdString(sheet_.name), words.join(QStringLiteral("; "))),
                tr("Follow it"), [this] { make_anew(); });
    }
    // Asked once, in the week after.
    if (const auto quiet = quiet_weeks(course_.made, sheet_.done_on, day); !quiet.empty() && quiet.back() + 1 == now)
        return notice_->problem(tr("Week %1: nothing was practised, filmed or led. Was it missed?").arg(quiet.back() + 1),
                                tr("It was missed"), [this, w = static_cast<int>(quiet.back())] { toggle_missed(w); });
    if (!sheet_.pain.empty())
        return notice_->say(tr("Pain was noted on %1 (%2): agree on a limit under People, and the course leaves out what it bars. Where it "
                               "stays, ask a licensed clinician.")
                                .arg(text::day(sheet_.pain_on, true), QString::fromStdString(sheet_.pain)));
    if (sheet_.unreadable > 0) notice_->say(tr("%n course(s) could not be read and stay in the library.", nullptr, sheet_.unreadable));
}

} // namespace bevel::ui
