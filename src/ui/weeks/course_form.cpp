#include "ui/weeks/course_form.h"
#include "ui/shell/day_edit.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

template <class W> W* named(W* w, const char* id, const QString& label) {
    w->setObjectName(QLatin1String(id));
    w->setAccessibleName(label);
    return w;
}
QLabel* heading_of(const QString& words) {
    auto* l = new QLabel(words);
    l->setObjectName(QStringLiteral("heading"));
    return l;
}

} // namespace

CourseForm::CourseForm(const Session& session, bool classes, QWidget* parent) : QWidget(parent), session_(session), classes_(classes) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(2, 0, 8, 0);
    box->setSpacing(4);
    build_whose(box);
    build_time(box);
    build_wanted(box);
    build_form(box);
    build_rest(box);
    box->addStretch(1);
    shown_.from = from_->date().toString(Qt::ISODate).toStdString();
}

void CourseForm::touched() {
    if (!filling_) emit changed();
}

void CourseForm::build_whose(QVBoxLayout* box) {
    person_ = named(new QComboBox, "coursePerson", tr("Whose course it is"));
    connect(person_, &QComboBox::activated, this, [this] { emit person_chosen(person()); });
    title_ = named(new QLineEdit, "courseTitle", tr("Title of the course"));
    title_->setPlaceholderText(tr("Title, as it stands on the sheet"));
    title_->setMaxLength(100);
    connect(title_, &QLineEdit::editingFinished, this, &CourseForm::touched);
    box->addWidget(heading_of(classes_ ? tr("Called what") : tr("Whose, and called what")));
    box->addWidget(person_);
    if (classes_) person_->hide();
    box->addWidget(title_);
}

void CourseForm::build_time(QVBoxLayout* box) {
    from_ = named(new DayEdit, "courseFrom", tr("First day"));
    const QDate today = QDate::currentDate();
    from_->setDateRange(QDate(2000, 1, 1), QDate(2190, 1, 1));
    from_->setDate(today.addDays(today.dayOfWeek() == 1 ? 0 : 8 - today.dayOfWeek()));
    connect(from_, &QDateEdit::dateChanged, this, &CourseForm::touched);
    const auto spin = [&](const char* id, const QString& label, int least, int most, int value) {
        auto* s = named(new QSpinBox, id, label);
        s->setRange(least, most);
        s->setValue(value);
        s->setKeyboardTracking(false);
        s->setToolTip(label);
        connect(s, &QSpinBox::valueChanged, this, &CourseForm::touched);
        return s;
    };
    weeks_ = spin("courseWeeks", tr("Weeks"), least_weeks, most_weeks, 8);
    weeks_->setSuffix(tr(" weeks"));
    lessons_ = spin("courseLessons", tr("Lessons a week"), 0, 7, 1);
    lessons_->setSuffix(tr(" × lesson"));
    lesson_minutes_ = spin("courseLessonMinutes", tr("Minutes of a lesson"), 4, 180, 45);
    home_days_ = spin("courseHomeDays", tr("Days at home a week"), 0, 7, 3);
    home_days_->setSuffix(tr(" × at home"));
    home_minutes_ = spin("courseHomeMinutes", tr("Minutes of a day at home"), 4, 180, 15);
    for (auto* s : {lesson_minutes_, home_minutes_}) s->setSuffix(tr(" min"));
    missed_ = named(new QComboBox, "courseMissed", tr("What becomes of a missed week"));
    missed_->addItem(tr("missed: the rest slides"), true);
    missed_->addItem(tr("missed: folded in"), false);
    missed_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    missed_->setMinimumContentsLength(14);
    connect(missed_, &QComboBox::activated, this, &CourseForm::touched);
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(3);
    grid->addWidget(from_, 0, 0);
    grid->addWidget(weeks_, 0, 1);
    grid->addWidget(lessons_, 1, 0);
    grid->addWidget(lesson_minutes_, 1, 1);
    grid->addWidget(home_days_, 2, 0);
    grid->addWidget(home_minutes_, 2, 1);
    if (classes_)
        for (auto* s : {home_days_, home_minutes_}) s->hide();
    grid->addWidget(missed_, 3, 0, 1, 2);
    box->addWidget(heading_of(tr("From when, and how much")));
    box->addLayout(grid);
}

void CourseForm::build_wanted(QVBoxLayout* box) {
    movement_ = named(new QComboBox, "courseMovement", tr("A movement to learn"));
    movement_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    movement_->setMinimumContentsLength(14);
    for (const auto& m : session_.movements.all()) movement_->addItem(said(m.name), QString::fromStdString(m.id));
    auto* add = named(new QPushButton(tr("Add")), "courseWant", tr("Add this movement to what is to be learned"));
    connect(add, &QPushButton::clicked, this, [this] { add_wanted(movement_->currentData().toString().toStdString()); });
    wanted_ = named(new QListWidget, "courseWanted", tr("To be learned; Delete takes one out"));
    wanted_->setToolTip(tr("Delete or a double click takes one out"));
    wanted_->setMaximumHeight(session_.theme.wide(92));
    connect(wanted_, &QListWidget::itemActivated, this, &CourseForm::take_out);
    wanted_->installEventFilter(this);
    auto* row = new QHBoxLayout;
    row->addWidget(movement_, 1);
    row->addWidget(add);
    box->addWidget(heading_of(tr("To be learned")));
    box->addLayout(row);
    box->addWidget(wanted_);
}

/// Delete is the list's own there, whatever the place has on it.
bool CourseForm::eventFilter(QObject* of, QEvent* e) {
    if (of == wanted_ && (e->type() == QEvent::ShortcutOverride || e->type() == QEvent::KeyPress) &&
        static_cast<QKeyEvent*>(e)->key() == Qt::Key_Delete) {
        e->accept();
        if (e->type() == QEvent::KeyPress) take_out();
        return true;
    }
    return QWidget::eventFilter(of, e);
}

void CourseForm::take_out() {
    if (!wanted_->currentItem()) return;
    delete wanted_->currentItem();
    touched();
}

void CourseForm::build_form(QVBoxLayout* box) {
    form_ = named(new QComboBox, "courseForm", tr("A form that grows over the weeks"));
    form_->setToolTip(tr("A form that grows over the weeks: 1, 1–2, 1–3 …"));
    form_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    form_->setMinimumContentsLength(14);
    form_known_ = named(new QSpinBox, "courseFormKnown", tr("How many of its parts are known at the start"));
    form_known_->setPrefix(tr("known: "));
    form_known_->setSpecialValueText(tr("all of it is new"));
    form_known_->setKeyboardTracking(false);
    connect(form_, &QComboBox::activated, this, [this] {
        form_chosen();
        touched();
    });
    connect(form_known_, &QSpinBox::valueChanged, this, &CourseForm::touched);
    box->addWidget(form_);
    box->addWidget(form_known_);
    fill_forms();
}

void CourseForm::fill_forms() {
    const QSignalBlocker quiet(form_);
    form_->clear();
    form_->addItem(tr("no form"), QString());
    for (const auto& f : session_.linked.all()) form_->addItem(said(f.name), QString::fromStdString(f.id));
    form_chosen();
}

void CourseForm::form_chosen() {
    const auto f = session_.forms().form(std::string(form_prefix) + form_->currentData().toString().toStdString());
    form_known_->setVisible(f != nullptr);
    if (!f) return;
    const QSignalBlocker quiet(form_known_);
    form_known_->setRange(0, steps_of(*f).back().second);
}

void CourseForm::build_rest(QVBoxLayout* box) {
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(2);
    int at = 0;
    const auto check = [&](const char* id, const QString& label, const QString& name) {
        auto* c = named(new QCheckBox(label), id, name);
        connect(c, &QCheckBox::clicked, this, &CourseForm::touched);
        grid->addWidget(c, at / 2, at % 2);
        ++at;
        return c;
    };
    for (const char* id : {"balance", "legs", "waist", "spine", "shoulders", "breath"})
        themes_[id] = check("courseTheme", text::trained(id), tr("Theme: %1").arg(text::trained(id)));
    themes_["balance"]->setToolTip(tr("With it the course has a ladder of balance, a step at a time"));
    box->addWidget(heading_of(tr("Themes")));
    box->addLayout(grid);
    grid = new QGridLayout;
    at = 0;
    chair_ = check("courseChair", tr("chair"), tr("At hand: %1").arg(tr("chair")));
    wall_ = check("courseWall", tr("wall"), tr("At hand: %1").arg(tr("wall")));
    stick_ = check("courseStick", tr("stick"), tr("At hand: %1").arg(tr("stick")));
    chair_->setChecked(true), wall_->setChecked(true);
    box->addWidget(heading_of(tr("At hand")));
    box->addLayout(grid);
}

void CourseForm::set_people(const std::vector<Person>& people, qint64 chosen) {
    const QSignalBlocker quiet(person_);
    person_->clear();
    person_->addItem(tr("choose a person"), qint64{0});
    for (const auto& p : people) person_->addItem(QString::fromStdString(p.name), static_cast<qint64>(p.id));
    person_->setCurrentIndex(std::max(0, person_->findData(chosen)));
}

void CourseForm::set_person(qint64 id) {
    const QSignalBlocker quiet(person_);
    person_->setCurrentIndex(std::max(0, person_->findData(id)));
}

qint64 CourseForm::person() const {
    return person_->currentData().toLongLong();
}
QString CourseForm::course_title() const {
    return title_->text().trimmed();
}

void CourseForm::add_wanted(const std::string& movement) {
    for (int i = 0; i < wanted_->count(); ++i)
        if (wanted_->item(i)->data(Qt::UserRole).toString().toStdString() == movement) return;
    const auto m = session_.movement(movement);
    auto* it = new QListWidgetItem(m ? said(m->name) : QString::fromStdString(movement), wanted_);
    it->setData(Qt::UserRole, QString::fromStdString(movement));
    touched();
}

void CourseForm::show_course(const QString& title, const CourseWish& w, bool under_way) {
    filling_ = true;
    shown_ = w;
    title_->setText(title);
    from_->setDate(QDate::fromString(QString::fromStdString(w.from), Qt::ISODate));
    from_->setEnabled(!under_way);
    weeks_->setValue(w.weeks);
    lessons_->setValue(w.lessons), home_days_->setValue(w.home_days);
    lesson_minutes_->setValue(static_cast<int>(std::lround(w.lesson_minutes)));
    home_minutes_->setValue(static_cast<int>(std::lround(w.home_minutes)));
    missed_->setCurrentIndex(missed_->findData(w.slide));
    wanted_->clear();
    for (const auto& id : w.wanted) add_wanted(id);
    fill_forms();
    form_->setCurrentIndex(std::max(0, form_->findData(QString::fromStdString(w.form))));
    form_chosen();
    form_known_->setValue(w.form_known);
    for (const auto& [id, c] : themes_) c->setChecked(w.themes.contains(id));
    chair_->setChecked(w.chair), wall_->setChecked(w.wall), stick_->setChecked(w.stick);
    filling_ = false;
}

CourseWish CourseForm::wish() const {
    CourseWish w = shown_;
    w.from = from_->date().toString(Qt::ISODate).toStdString();
    w.weeks = weeks_->value();
    w.lessons = lessons_->value(), w.home_days = home_days_->value();
    w.lesson_minutes = lesson_minutes_->value(), w.home_minutes = home_minutes_->value();
    w.slide = missed_->currentData().toBool();
    w.wanted.clear();
    for (int i = 0; i < wanted_->count(); ++i) w.wanted.push_back(wanted_->item(i)->data(Qt::UserRole).toString().toStdString());
    if (form_->currentIndex() > 0 || form_->findData(QString::fromStdString(shown_.form)) >= 0) // one that is gone for now is kept
        w.form = form_->currentData().toString().toStdString();
    w.form_known = w.form.empty() ? 0 : form_known_->value();
    for (const auto& [id, c] : themes_) {
        w.themes.erase(id);
        if (c->isChecked()) w.themes.insert(id);
    }
    w.chair = chair_->isChecked(), w.wall = wall_->isChecked(), w.stick = stick_->isChecked();
    return w;
}

} // namespace bevel::ui
