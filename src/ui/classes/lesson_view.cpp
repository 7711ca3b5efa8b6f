#include "ui/classes/lesson_view.h"
#include "core/files.h"
#include "ui/paint/class_sheet.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/class_words.h"
#include "ui/text/course_words.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCheckBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QTableView>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
QPushButton* button(QWidget* of, const char* name, const QString& label, std::function<void()> go) {
    auto* b = new QPushButton(label);
    b->setObjectName(QLatin1String(name));
    QObject::connect(b, &QPushButton::clicked, of, std::move(go));
    return b;
}
} // namespace

LessonView::LessonView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    day_ = new DayEdit;
    day_->setObjectName(QStringLiteral("lessonDay"));
    day_->setAccessibleName(tr("Day of the lesson"));
    day_->setMinimumWidth(session_.theme.wide(128));
    connect(day_, &QDateEdit::dateChanged, this, [this](QDate d) {
        if (!filling_) show_day(d.toString(Qt::ISODate).toStdString());
    });
    head_ = new QLabel;
    head_->setObjectName(QStringLiteral("lessonHead"));
    head_->setWordWrap(true);
    head_->setTextFormat(Qt::PlainText); // titles are data
    propose_ = button(this, "lessonPropose", tr("Propose a lesson"), [this] { propose_now(); });
    other_ = button(this, "lessonAnother", tr("Another one"), [this] { propose_now(true); });
    go_ = button(this, "primary", tr("Hold it …"), [this] { run_now(); });
    export_ = new QPushButton(tr("Print"));
    export_->setObjectName(QStringLiteral("lessonExport"));
    auto* menu = new QMenu(export_);
    menu->setObjectName(QStringLiteral("lessonExports"));
    for (const bool leader : {true, false})
        connect(menu->addAction(leader ? tr("Sheet for whoever leads, with names …") : tr("Sheet for the wall, without names …")),
                &QAction::triggered, this, [this, leader] {
                    const QString& folder = session_.settings.export_folder;
                    const QString name = leader ? QStringLiteral("lesson-leader.pdf") : QStringLiteral("lesson-wall.pdf");
                    const QString file = QFileDialog::getSaveFileName(
                        this, tr("Print"), folder.isEmpty() ? name : folder + QLatin1Char('/') + name, tr("PDF (*.pdf)"));
                    if (!file.isEmpty()) export_to(file, leader);
                });
    export_->setMenu(menu);
    auto* acts = new FlowLayout;
    acts->setSpacing(6);
    for (auto* b : {propose_, other_, export_, go_}) acts->addWidget(b);
    auto* top = new QHBoxLayout;
    top->addWidget(day_);
    top->addWidget(head_, 2);
    top->addLayout(acts, 3);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    row->addWidget(build_there());
    row->addWidget(build_plan(), 1);
    notice_ = new Notice;
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(4, 8, 4, 4);
    all->addLayout(top);
    all->addLayout(row, 1);
    all->addWidget(notice_);
}

QWidget* LessonView::build_there() {
    here_rows_ =
        new RowsModel<Here>({{tr("Here"), [](const Here& h) { return h.how.here ? QStringLiteral("✓") : tr("away"); }},
                             {tr("Name"), [](const Here& h) { return QString::fromStdString(h.who->person.name); }},
                             {tr("May not"), [this](const Here& h) { return text::limits_of(*h.who, session_.catalogue); }},
                             {tr("Today"), [](const Here& h) { return h.how.here ? text::today_words(h.how.today) : QString(); }}});
    here_ = table_of(here_rows_, QStringLiteral("lessonHere"), tr("Who is here"), {2});
    here_->setWordWrap(true);
    here_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    here_->setToolTip(tr("Space: here, or away"));
    here_->installEventFilter(this);
    connect(here_->selectionModel(), &QItemSelectionModel::currentRowChanged, this, [this] { show_today(); });
    toggle_ = button(this, "lessonToggle", tr("Here / away"), [this] { toggle_here(); });
    of_whom_ = new QLabel;
    of_whom_->setObjectName(QStringLiteral("heading"));
    auto* marks = new FlowLayout;
    marks->setSpacing(8);
    const auto mark = [&](const std::string& id, const QString& label) {
        auto* c = new QCheckBox(label);
        c->setObjectName(QStringLiteral("today_") + QString::fromStdString(id));
        c->setAccessibleName(tr("Today: %1").arg(label));
        connect(c, &QCheckBox::clicked, this, [this, id](bool on) {
            change([this, id, on](Lesson& l) {
                LessonPerson* p = chosen(l);
                if (!p) return;
                if (id == "dizzy")
                    p->today.dizzy = on;
                else if (id == "unsteady")
                    p->today.unsteady = on;
                else if (id == "tired")
                    p->today.tired = on;
                else if (on)
                    p->today.care.insert(id);
                else
                    p->today.care.erase(id);
            });
        });
        today_.emplace_back(id, c);
        marks->addWidget(c);
    };
    mark("dizzy", tr("dizzy")), mark("unsteady", tr("unsteady")), mark("tired", tr("tired"));
    for (const char* part : {"neck", "low_back", "shoulders", "knees", "wrists", "hips"}) mark(part, text::part_of_body(part));
    auto* w = new QWidget;
    w->setFixedWidth(session_.theme.wide(350));
    auto* box = new QVBoxLayout(w);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(here_, 1);
    box->addWidget(toggle_, 0, Qt::AlignLeft);
    box->addWidget(of_whom_);
    box->addLayout(marks);
    return w;
}

QWidget* LessonView::build_plan() {
    plan_rows_ = new RowsModel<Line>(
        {{tr("Min"), [](const Line& l) { return l.minutes; }},
         {tr("All"), [](const Line& l) { return l.what; }},
         {tr("Said to all"), [](const Line& l) { return l.otherwise; }, [this](const Line&) { return session_.theme.palette.accent; }},
         {tr("Instead"), [](const Line& l) { return l.whom; }}});
    table_ = table_of(plan_rows_, QStringLiteral("lessonPlan"), tr("The lesson"), {1, 2, 3});
    table_->setShowGrid(true);
    table_->setWordWrap(true);
    table_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table_->setToolTip(tr("Alt and the arrows move an exercise, Delete takes it out"));
    table_->installEventFilter(this);
    out_ = button(this, "lessonOut", tr("Take out"), [this] { take_out(); });
    up_ = button(this, "lessonUp", tr("Earlier"), [this] { move(-1); });
    down_ = button(this, "lessonDown", tr("Later"), [this] { move(1); });
    more_ = button(this, "lessonMore", tr("More"), [this] { adjust(1); });
    more_->setToolTip(tr("One more on each side, five seconds more of a hold, a quarter of a minute more of a stand (+)"));
    less_ = button(this, "lessonLess", tr("Less"), [this] { adjust(-1); });
    less_->setToolTip(tr("One less on each side, five seconds less of a hold, a quarter of a minute less of a stand (−)"));
    auto* acts = new FlowLayout;
    acts->setSpacing(6);
    for (auto* b : {up_, down_, more_, less_, out_}) acts->addWidget(b);
    auto* w = new QWidget;
    auto* box = new QVBoxLayout(w);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(table_, 1);
    box->addLayout(acts);
    return w;
}

bool LessonView::eventFilter(QObject* of, QEvent* e) {
    if (e->type() == QEvent::KeyPress) {
        const auto key = static_cast<QKeyEvent*>(e)->key();
        if (of == here_ && key == Qt::Key_Space) return toggle_here(), true;
        if (of == table_ && key == Qt::Key_Delete) return take_out(), true;
        if (of == table_ && (key == Qt::Key_Plus || key == Qt::Key_Equal)) return adjust(1), true;
        if (of == table_ && key == Qt::Key_Minus) return adjust(-1), true;
        if (of == table_ && static_cast<QKeyEvent*>(e)->modifiers() == Qt::AltModifier && (key == Qt::Key_Up || key == Qt::Key_Down))
            return move(key == Qt::Key_Up ? -1 : 1), true;
    }
    return QWidget::eventFilter(of, e);
}

void LessonView::show_class(const ClassSheet& sheet) {
    const bool other = sheet.group.id != sheet_.group.id;
    here_rows_->set_rows({}); // they point into the sheet
    sheet_ = sheet;
    if (other) {
        asked_.clear();
        another_ = 0;
        notice_->say({});
        // The next lesson by its weekday; today's while it is that day.
        QDate day = QDate::currentDate();
        if (sheet_.group.weekday > 0) day = day.addDays((sheet_.group.weekday - day.dayOfWeek() + 7) % 7);
        return show_day(day.toString(Qt::ISODate).toStdString());
    }
    show_day(lesson_.day);
}

void LessonView::show_day(const std::string& iso) {
    lesson_ = lesson_on(sheet_, iso);
    fill();
}

void LessonView::set_courses(const std::vector<CourseOf>& courses) {
    sheet_.courses = courses;
    fill_plan();
}

void LessonView::fill() {
    filling_ = true;
    day_->setDate(QDate::fromString(QString::fromStdString(lesson_.day), Qt::ISODate));
    filling_ = false;
    plan_ = {};
    if (!lesson_.plan.empty()) {
        if (auto plan = parse_plan(lesson_.plan))
            plan_ = std::move(*plan);
        else
            notice_->problem(text::error(plan.error()));
    }
    session_.practise(plan_);
    fill_there();
    ask_gate();
    fill_plan();
}

void LessonView::fill_there() {
    const int at = here_->currentIndex().row();
    std::vector<Here> rows;
    for (const auto& m : sheet_.members)
        for (const auto& p : lesson_.people)
            if (p.person == m.person.id) rows.push_back({&m, p});
    here_rows_->set_rows(std::move(rows));
    if (here_rows_->rowCount() > 0) here_->selectRow(std::clamp(at, 0, here_rows_->rowCount() - 1));
    show_today();
}

void LessonView::ask_gate() {
    const auto movements = session_.practice_movements();
    there_ = there_on(sheet_, lesson_);
    instead_ = instead_of(plan_, there_, *movements);
    say_otherwise(plan_, instead_);
}

/// The week of the class's course that this lesson is in.
QString LessonView::week_words() const {
    const auto week = sheet_.week_of(lesson_.day);
    if (!week) return {};
    const auto forms = session_.forms();
    QString words = QLatin1Char('\n') + tr("Week %1 of “%2”").arg(week->second + 1).arg(QString::fromStdString(week->first->title));
    if (const auto* fresh = week->first->made.fresh_in(week->second))
        words += tr(", new: %1").arg(text::thread_title(*fresh, *forms.movements, *forms.linked));
    return words;
}

void LessonView::fill_plan() {
    const auto movements = session_.practice_movements();
    std::vector<Line> rows;
    double minute = 0;
    QStringList most;
    for (std::size_t k = 0; k < plan_.items.size(); ++k) {
        const PlanItem& i = plan_.items[k];
        const auto others = std::count_if(instead_[k].begin(), instead_[k].end(), [](const Instead& x) {
            return x.way == Instead::Way::easier || x.way == Instead::Way::another || x.way == Instead::Way::rest;
        });
        if (!there_.empty() && 2 * others > std::ssize(there_)) most << text::item_title(i, *movements);
        if (i.part != PlanPart::settling && i.round > 1 && !rows.empty()) {
            rows.back().rounds = k + 1 - rows.back().item; // one line for all rounds
        } else if (i.part != PlanPart::settling) {
            PlanItem first = i; // "3 a side" once, and how many rounds
            first.round = first.rounds = 0;
            QStringList what{text::item_title(i, *movements), text::item_amount(first)};
            if (i.rounds > 1) what.back() = tr("%1, %n round(s)", "how often", i.rounds).arg(what.back());
            rows.push_back({what.join(QLatin1Char('\n')), QString::number(std::lround(std::floor(minute / 60))),
                            text::otherwise_words(i, *movements), text::instead_of_whom(instead_[k], i, sheet_, there_, *movements), k, 1});
        }
        minute += i.seconds();
    }
    most.removeDuplicates();
    plan_rows_->set_rows(std::move(rows));
    const auto here = there_.size();
    head_->setText(
        tr("%1 of %2 here%3")
            .arg(here)
            .arg(lesson_.people.size())
            .arg(plan_.items.empty() ? QString() : tr(", %1 min", "after how many are here").arg(std::lround(plan_.total_s() / 60))) +
        (lesson_.held ? tr(" · held") : QString()) + week_words());
    const bool writes = !session_.library->read_only();
    propose_->setEnabled(here > 0);
    other_->setEnabled(here > 0 && !plan_.items.empty());
    for (QWidget* w : std::initializer_list<QWidget*>{go_, export_}) w->setEnabled(!plan_.items.empty() && here > 0);
    for (auto* b : {up_, down_, more_, less_, out_}) b->setEnabled(!plan_.items.empty() && writes);
    toggle_->setEnabled(!sheet_.members.empty() && writes);
    if (!most.isEmpty())
        notice_->problem(tr("More than half of those who are here do something else than: %1.").arg(most.join(QStringLiteral(", "))),
                         tr("Propose it anew"), [this] { propose_now(); });
    else
        notice_->say(sheet_.members.empty() ? tr("Nobody belongs to this class yet: tick them under “Class”.") : QString());
}

LessonPerson* LessonView::chosen(Lesson& lesson) const {
    const Here* h = here_rows_->at(here_->currentIndex());
    if (!h) return nullptr;
    for (auto& p : lesson.people)
        if (p.person == h->how.person) return &p;
    return nullptr;
}

void LessonView::show_today() {
    const LessonPerson* p = chosen(lesson_);
    const Here* h = here_rows_->at(here_->currentIndex());
    of_whom_->setText(h ? tr("What %1 brings today").arg(QString::fromStdString(h->who->person.name)) : tr("Nobody yet"));
    for (const auto& [id, box] : today_) {
        box->setEnabled(p && p->here && !session_.library->read_only());
        box->setChecked(p && (id == "dizzy"      ? p->today.dizzy
                              : id == "unsteady" ? p->today.unsteady
                              : id == "tired"    ? p->today.tired
                                                 : p->today.care.contains(id)));
    }
}

void LessonView::change(const std::function<void(Lesson&)>& how) {
    const Lesson before = lesson_;
    Lesson after = lesson_;
    how(after);
    emit changed(before, after);
}

void LessonView::set_lesson(const Lesson& lesson) {
    lesson_ = lesson;
    fill();
    keep();
}

void LessonView::toggle_here() {
    if (session_.library->read_only()) return;
    change([this](Lesson& l) {
        if (LessonPerson* p = chosen(l)) p->here = !p->here;
    });
}

void LessonView::take_out() {
    const Line* line = plan_rows_->at(table_->currentIndex());
    if (!line || session_.library->read_only()) return;
    const auto movements = session_.practice_movements();
    Plan p = plan_;
    auto at = p.items.begin() + static_cast<std::ptrdiff_t>(line->item);
    at = p.items.erase(at, at + static_cast<std::ptrdiff_t>(line->rounds)); // all its rounds
    // The settling moment before what is gone goes with it.
    if (at != p.items.begin() && (at - 1)->part == PlanPart::settling && (at == p.items.end() || at->part == PlanPart::settling))
        p.items.erase(at - 1);
    settle_plan(p, *movements);
    change([&](Lesson& l) { l.plan = plan_text(p); });
}

void LessonView::adjust(int by) {
    const int row = table_->currentIndex().row();
    const Line* line = plan_rows_->at(table_->currentIndex());
    if (!line || session_.library->read_only()) return;
    constexpr double hold_step = 5, least_hold = 5, most_hold = 600, stand_step = 15;
    constexpr int most_a_side = 30, most_times = 60;
    Plan p = plan_;
    for (std::size_t k = line->item; k < line->item + line->rounds; ++k) { // all its rounds alike
        PlanItem& i = p.items[k];
        if (i.part == PlanPart::settling) continue;
        if (i.holds > 0)
            i.hold_s = std::clamp(i.hold_s + hold_step * by, least_hold, most_hold);
        else if (i.left + i.right > 0) {
            for (int* n : {&i.left, &i.right})
                if (*n > 0) *n = std::clamp(*n + by, 1, most_a_side);
        } else if (i.times > 0)
            i.times = std::clamp(i.times + by, 1, most_times);
        else
            i.practice_s = std::clamp(i.practice_s + stand_step * by, stand_least_s, stand_most_s);
    }
    settle_plan(p, *session_.practice_movements());
    if (plan_text(p) == plan_text(plan_)) return;
    change([&](Lesson& l) { l.plan = plan_text(p); });
    table_->selectRow(row);
}

void LessonView::move(int by) {
    const int row = table_->currentIndex().row(), first = std::min(row, row + by), rows = plan_rows_->rowCount();
    if (row < 1 || row > rows - 2 || row + by < 1 || row + by > rows - 2 || session_.library->read_only()) return;
    const Line &a = plan_rows_->rows()[static_cast<std::size_t>(first)], &b = plan_rows_->rows()[static_cast<std::size_t>(first) + 1];
    const auto at = [&](std::size_t i) { return plan_.items.begin() + static_cast<std::ptrdiff_t>(i); };
    Plan p = plan_;
    p.items.assign(plan_.items.begin(), at(a.item));
    p.items.insert(p.items.end(), at(b.item), at(b.item + b.rounds));
    p.items.insert(p.items.end(), at(a.item + a.rounds), at(b.item)); // what settles between them stays between them
    p.items.insert(p.items.end(), at(a.item), at(a.item + a.rounds));
    p.items.insert(p.items.end(), at(b.item + b.rounds), plan_.items.end());
    settle_plan(p, *session_.practice_movements());
    change([&](Lesson& l) { l.plan = plan_text(p); });
    table_->selectRow(row + by);
}

void LessonView::keep() {
    const Lesson& l = lesson_;
    if (session_.library->read_only() || l.group == 0) return;
    // What other lessons are made of, and what is shown when this day comes back, is told by this one from now on.
    auto& all = sheet_.lessons;
    const auto at = std::find_if(all.begin(), all.end(), [&](const Lesson& x) { return x.day <= l.day; });
    if (at != all.end() && at->day == l.day)
        *at = l;
    else
        all.insert(at, l);
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, l](std::stop_token) { return lib->classes().keep_lesson(l); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return notice_->problem(text::error(id.error()));
            emit kept();
        });
}

void LessonView::propose_now(bool another) {
    another_ = another ? another_ + 1 : 0;
    const int run = ++run_;
    propose_->setEnabled(false);
    session_.files().run<Result<Plan>>(
        this,
        [sheet = sheet_, lesson = lesson_, forms = session_.forms(), asked = asked_, n = another_](std::stop_token) {
            return propose_lesson(sheet, lesson, forms, asked, n);
        },
        [this, run, day = lesson_.day](const Result<Plan>& plan) {
            propose_->setEnabled(true);
            if (run != run_ || day != lesson_.day) return;
            if (!plan) return notice_->problem(text::error(plan.error()));
            change([&](Lesson& l) { l.plan = plan_text(*plan); });
            emit proposed();
        });
}

PacerWindow* LessonView::run_now() {
    if (plan_.items.empty()) return nullptr;
    if (pacer_) {
        pacer_->raise();
        return pacer_;
    }
    ask_gate(); // whoever came in since has their own way too
    fill_plan();
    PacerOptions o;
    o.in_s = o.out_s = plan_.breath_s / 2;
    pacer_ = new PacerWindow(session_, plan_, o, true);
    pacer_->lead_class();
    connect(pacer_, &PacerWindow::over, this, [this](const PracticeLog& log) {
        if (log.minutes < 0.2) return; // stopped before it began
        change([](Lesson& l) { l.held = true; });
        PracticeLog l = log;
        l.title = sheet_.group.name;
        session_.background->run<Result<std::int64_t>>(
            this, [lib = session_.library, l](std::stop_token) { return lib->practice().keep(l); },
            [this](const Result<std::int64_t>& ok) {
                if (!ok) notice_->problem(text::error(ok.error()));
            });
    });
    pacer_->show();
    pacer_->setFocus();
    return pacer_;
}

void LessonView::export_to(const QString& file, bool leader) {
    ask_gate();
    session_.files().run<Result<bool>>(
        this,
        [path = std::filesystem::path(file.toStdString()), sheet = sheet_, lesson = lesson_, plan = plan_, leader,
         movements = session_.practice_movements(), catalogue = session_.catalogue](std::stop_token) -> Result<bool> {
            const auto bytes = lesson_pdf(QString::fromStdString(plan.title),
                                          leader ? leader_html(sheet, lesson, plan, *movements, catalogue) : wall_html(plan, *movements));
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
        },
        [this, file](const Result<bool>& ok) {
            if (!ok) return notice_->problem(text::error(ok.error()));
            session_.settings.export_folder = QFileInfo(file).absolutePath();
            notice_->say(tr("Saved: %1").arg(file));
            emit exported(file);
        });
}

} // namespace bevel::ui
