#include "ui/practice/needs_form.h"
#include "core/days.h"
#include "ui/shell/fold.h"
#include "ui/shell/words_spin.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QGridLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>

namespace bevel::ui {

QCheckBox* NeedsForm::check(const char* name, const QString& label, const QString& tip) {
    auto* c = new QCheckBox(label);
    c->setObjectName(QLatin1String(name));
    if (!tip.isEmpty()) c->setToolTip(tip);
    connect(c, &QCheckBox::toggled, this, [this] {
        if (!filling_) emit changed();
    });
    return c;
}

namespace {
void name_widget(QWidget* w, const char* name, const QString& label) {
    w->setObjectName(QLatin1String(name));
    w->setAccessibleName(label);
}
QLabel* heading(const QString& words) {
    auto* l = new QLabel(words);
    l->setObjectName(QStringLiteral("heading"));
    return l;
}
} // namespace

NeedsForm::NeedsForm(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    auto* time = build_time();
    build_group();
    auto* today = build_today();
    auto* care = build_care();
    auto* themes = build_themes();
    auto* place = build_place();
    auto* want = build_wanted();
    auto* whole = build_form();
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(2, 0, 8, 0);
    box->setSpacing(4);
    box->addWidget(heading(tr("For whom, and how long")));
    box->addWidget(person_);
    box->addWidget(group_);
    box->addLayout(time);
    box->addWidget(heading(tr("Today")));
    box->addLayout(today);
    fold(box, tr("Asks for care"), care, [this] { return checked(care_, tr("nothing")); });
    fold(box, tr("Themes"), themes, [this] { return checked(themes_, tr("none in particular")); });
    fold(box, tr("At hand"), place, [this] {
        QStringList words;
        for (const auto* c : {chair_, wall_, stick_, helper_})
            if (c->isChecked()) words << c->text();
        return words.isEmpty() ? tr("nothing") : words.join(QStringLiteral(", "));
    });
    auto* pace = new QVBoxLayout;
    pace->setContentsMargins(0, 0, 0, 0);
    pace->addWidget(pace_);
    pace->addWidget(breath_);
    fold(box, tr("Pace and breath"), pace, [this] { return tr("%1, %2").arg(pace_->text(), breath_->text()); });
    box->addWidget(heading(tr("Asked for")));
    box->addWidget(asked_);
    day_off_ = new QPushButton(tr("Plan without the course"));
    day_off_->setObjectName(QStringLiteral("planWithoutCourse"));
    day_off_->hide();
    connect(day_off_, &QPushButton::clicked, this, &NeedsForm::let_day_go);
    box->addWidget(day_off_, 0, Qt::AlignLeft);
    box->addLayout(want);
    box->addWidget(wanted_);
    box->addWidget(grow_);
    fold(box, tr("A form, piece by piece"), whole, [this] { return form_->currentIndex() > 0 ? form_->currentText() : tr("none"); });
    box->addStretch(1);
}

void NeedsForm::fold(QVBoxLayout* box, const QString& title, QLayout* content, std::function<QString()> value) {
    auto* f = new Fold(title, content, std::move(value));
    folds_.push_back(f);
    box->addWidget(f);
    connect(this, &NeedsForm::changed, f, [f] { f->refresh(); });
}

/// The labels of those that are checked.
QString NeedsForm::checked(const std::map<std::string, QCheckBox*>& boxes, const QString& none) {
    QStringList words;
    for (const auto& [id, c] : boxes)
        if (c->isChecked()) words << c->text();
    return words.isEmpty() ? none : words.join(QStringLiteral(", "));
}

QLayout* NeedsForm::build_time() {
    const auto touched = [this] {
        if (!filling_) emit changed();
    };
    person_ = new QComboBox;
    name_widget(person_, "planPerson", tr("For whom"));
    minutes_ = new QSpinBox;
    name_widget(minutes_, "planMinutes", tr("Minutes at hand"));
    minutes_->setRange(4, 180);
    minutes_->setValue(20);
    minutes_->setSuffix(tr(" min"));
    energy_ = new QSpinBox;
    name_widget(energy_, "planEnergy", tr("Energy today, 0 to 10"));
    energy_->setRange(-1, 10);
    energy_->setValue(-1);
    energy_->setSpecialValueText(tr("energy: not said"));
    energy_->setPrefix(tr("energy "));
    pace_ = new WordsSpin(
        [](double v) { return std::abs(v - 1) < 0.05 ? tr("usual pace") : tr("%1 times as long").arg(locale_now().toString(v, 'f', 1)); },
        1);
    name_widget(pace_, "planPace", tr("Pace, times the movements' own"));
    pace_->setRange(0.6, 2);
    pace_->setSingleStep(0.1);
    pace_->setDecimals(1);
    pace_->setValue(1);
    pace_->setToolTip(tr("1.3: everything takes a third longer"));
    breath_ = new QDoubleSpinBox;
    name_widget(breath_, "planBreath", tr("One breath in and out, seconds"));
    breath_->setRange(5, 20);
    breath_->setDecimals(1);
    breath_->setValue(7);
    breath_->setPrefix(tr("a breath of "));
    breath_->setSuffix(tr(" s"));
    breath_->setToolTip(tr("The student's own: 3 to 4 s in and as much out is usual at the start"));
    for (auto* s : {minutes_, energy_}) connect(s, &QSpinBox::valueChanged, this, touched);
    for (auto* s : {pace_, breath_}) connect(s, &QDoubleSpinBox::valueChanged, this, touched);
    auto* time = new QHBoxLayout;
    time->addWidget(minutes_);
    for (QWidget* w : std::initializer_list<QWidget*>{minutes_, breath_, pace_, energy_}) w->setMinimumWidth(session_.theme.wide(96));
    return time;
}

/// For whom: one, or several.
void NeedsForm::build_group() {
    connect(person_, &QComboBox::activated, this, [this] {
        group_->setVisible(person() == 0 && group_->count() > 0);
        emit person_chosen(person());
    });
    group_ = new QListWidget;
    name_widget(group_, "planGroup", tr("Who is in the group"));
    group_->setMaximumHeight(session_.theme.wide(92));
    group_->setToolTip(tr("What is agreed with any of them holds for the whole group"));
    connect(group_, &QListWidget::itemChanged, this, [this] {
        if (!filling_) emit group_chosen();
    });
}

QLayout* NeedsForm::build_today() {
    const auto touched = [this] {
        if (!filling_) emit changed();
    };
    dizzy_ = check("planDizzy", tr("dizzy"));
    unsteady_ = check("planUnsteady", tr("unsteady"));
    steadier_ = new QComboBox;
    name_widget(steadier_, "planSteadier", tr("The steadier side on one leg"));
    steadier_->setToolTip(tr("Balance begins on the steadier side"));
    for (const auto& [label, id] :
         {std::pair{tr("either side first"), ""}, {tr("left is steadier"), "left"}, {tr("right is steadier"), "right"}})
        steadier_->addItem(label, QString::fromLatin1(id));
    connect(steadier_, &QComboBox::activated, this, touched);
    auto* today = new QGridLayout;
    today->setVerticalSpacing(2);
    today->addWidget(energy_, 0, 0, 1, 2);
    today->addWidget(steadier_, 1, 0, 1, 2);
    today->addWidget(dizzy_, 2, 0);
    today->addWidget(unsteady_, 2, 1);
    return today;
}

QLayout* NeedsForm::build_care() {
    auto* care = new QGridLayout;
    care->setVerticalSpacing(2);
    int at = 0;
    for (const auto& [id, label] : {std::pair{"neck", tr("neck")},
                                    {"low_back", tr("low back")},
                                    {"shoulders", tr("shoulders")},
                                    {"knees", tr("knees")},
                                    {"wrists", tr("wrists")},
                                    {"hips", tr("hips")}}) {
        care_[id] = check("planCare", label);
        care_[id]->setAccessibleName(tr("Asks for care: %1").arg(label));
        care->addWidget(care_[id], at / 2, at % 2);
        ++at;
    }
    return care;
}

QLayout* NeedsForm::build_themes() {
    auto* themes = new QGridLayout;
    themes->setVerticalSpacing(2);
    int at = 0;
    for (const char* id : {"legs", "waist", "spine", "shoulders", "balance", "breath"}) {
        themes_[id] = check("planTheme", text::trained(id));
        themes_[id]->setAccessibleName(tr("Theme: %1").arg(text::trained(id)));
        themes->addWidget(themes_[id], at / 2, at % 2);
        ++at;
    }
    return themes;
}

/// What is at hand.
QLayout* NeedsForm::build_place() {
    chair_ = check("planChair", tr("chair"));
    wall_ = check("planWall", tr("wall"));
    stick_ = check("planStick", tr("stick"));
    helper_ = check("planHelper", tr("helper"), tr("Somebody stands beside on one leg"));
    chair_->setChecked(true);
    wall_->setChecked(true);
    auto* place = new QHBoxLayout;
    for (auto* c : {chair_, wall_, stick_, helper_}) place->addWidget(c);
    place->addStretch(1);
    return place;
}

QLayout* NeedsForm::build_wanted() {
    movement_ = new QComboBox;
    name_widget(movement_, "planMovement", tr("A movement to ask for"));
    movement_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    movement_->setMinimumContentsLength(14);
    for (const auto& m : session_.movements.all()) movement_->addItem(said(m.name), QString::fromStdString(m.id));
    auto* add = new QPushButton(tr("Ask for it"));
    add->setObjectName(QStringLiteral("planWant"));
    wanted_ = new QListWidget;
    name_widget(wanted_, "planWanted", tr("Asked for; Delete takes one out"));
    wanted_->setMaximumHeight(session_.theme.wide(74));
    wanted_->setDragDropMode(QAbstractItemView::InternalMove);
    connect(add, &QPushButton::clicked, this, [this] { add_wanted(movement_->currentData().toString().toStdString()); });
    connect(wanted_, &QListWidget::itemActivated, this, [this](QListWidgetItem* it) {
        delete it;
        emit changed();
    });
    wanted_->setToolTip(tr("Enter or a double click takes one out; drag them into the order of a sequence"));
    grow_ = check("planGrow", tr("as a growing sequence"), tr("Movement by movement: 1, 1–2, 1–2–3 …, with the joins alone"));
    auto* want = new QVBoxLayout;
    want->setSpacing(3);
    want->addWidget(movement_);
    want->addWidget(add, 0, Qt::AlignLeft);
    asked_ = new QLabel;
    asked_->setObjectName(QStringLiteral("planAsked"));
    asked_->setWordWrap(true);
    return want;
}

/// Which form, how much of it is known, and how it is done.
QLayout* NeedsForm::build_form() {
    form_ = new QComboBox;
    name_widget(form_, "planForm", tr("A form, piece by piece"));
    form_->setToolTip(
        tr("Its parts one by one, the joins alone, and the whole up to there; the parts that the last letter asked for more often"));
    form_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    form_->setMinimumContentsLength(14);
    form_known_ = new QSpinBox;
    name_widget(form_known_, "planFormKnown", tr("How many of its parts are known"));
    form_known_->setToolTip(tr("So many parts are known; the next ones are new"));
    form_known_->setPrefix(tr("known: "));
    form_known_->setSpecialValueText(tr("all of it is new"));
    form_mirrored_ = check("planFormMirrored", tr("sides changed over"), tr("The whole form with left and right changed over"));
    form_recall_ =
        check("planFormRecall", tr("from memory"), tr("What is known without the figure; the names are told once a part is over"));
    fill_forms();
    connect(form_, &QComboBox::activated, this, [this] {
        form_chosen();
        emit changed();
    });
    connect(form_known_, &QSpinBox::valueChanged, this, [this] {
        if (!filling_) emit changed();
    });
    auto* box = new QGridLayout;
    box->setVerticalSpacing(3);
    box->addWidget(form_, 0, 0, 1, 2);
    box->addWidget(form_known_, 1, 0, 1, 2);
    box->addWidget(form_mirrored_, 2, 0);
    box->addWidget(form_recall_, 2, 1);
    return box;
}

void NeedsForm::fill_forms() {
    const QVariant had = form_->currentData();
    const QSignalBlocker quiet(form_);
    form_->clear();
    form_->addItem(tr("none"), QString());
    std::vector<std::pair<QString, QString>> all;
    for (const auto& f : session_.linked.all()) all.emplace_back(said(f.name), QString::fromStdString(f.id));
    std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return QString::localeAwareCompare(a.first, b.first) < 0; });
    for (const auto& [name, id] : all) form_->addItem(name, id);
    form_->setCurrentIndex(std::max(0, form_->findData(had)));
    form_chosen();
}

void NeedsForm::choose_form(const std::string& id) {
    form_->setCurrentIndex(std::max(0, form_->findData(QString::fromStdString(id))));
    form_chosen();
    folds_.back()->open(true);
    emit changed();
}

/// What is asked of it only where one is chosen. Who has been filmed in it knows it.
void NeedsForm::form_chosen() {
    const auto f = session_.forms().form(std::string(form_prefix) + form_->currentData().toString().toStdString());
    for (QWidget* w : std::initializer_list<QWidget*>{form_known_, form_mirrored_, form_recall_}) w->setVisible(f != nullptr);
    if (!f) return;
    const QSignalBlocker quiet(form_known_);
    const int count = steps_of(*f).back().second;
    form_known_->setRange(0, count);
    form_known_->setSuffix(tr(" of %n part(s)", nullptr, count));
    // What was said of it stays until it is of another form or of somebody else.
    if (std::exchange(form_of_, std::pair{clip_id(*f), person()}) == std::pair{clip_id(*f), person()}) return;
    const auto& practised = known_.practised;
    form_known_->setValue(std::find(practised.begin(), practised.end(), clip_id(*f)) != practised.end() ? count : 0);
}

void NeedsForm::set_people(const std::vector<Person>& people, qint64 choose) {
    filling_ = true;
    person_->clear();
    person_->addItem(tr("a group, or myself"), qint64{0});
    const auto chosen = group();
    group_->clear();
    for (const auto& p : people) {
        person_->addItem(QString::fromStdString(p.name), static_cast<qint64>(p.id));
        auto* it = new QListWidgetItem(QString::fromStdString(p.name), group_);
        it->setData(Qt::UserRole, static_cast<qint64>(p.id));
        it->setFlags(Qt::ItemIsEnabled | Qt::ItemIsUserCheckable | Qt::ItemIsSelectable);
        it->setCheckState(std::find(chosen.begin(), chosen.end(), p.id) != chosen.end() ? Qt::Checked : Qt::Unchecked);
    }
    person_->setCurrentIndex(std::max(0, person_->findData(choose)));
    group_->setVisible(person() == 0 && group_->count() > 0);
    filling_ = false;
}

qint64 NeedsForm::person() const {
    return person_->currentData().toLongLong();
}
QString NeedsForm::person_name() const {
    return person() == 0 ? QString() : known_.facts.alias.empty() ? person_->currentText() : QString::fromStdString(known_.facts.alias);
}

std::vector<qint64> NeedsForm::group() const {
    std::vector<qint64> out;
    for (int i = 0; i < group_->count(); ++i)
        if (group_->item(i)->checkState() == Qt::Checked) out.push_back(group_->item(i)->data(Qt::UserRole).toLongLong());
    return out;
}

void NeedsForm::set_known(const PersonNeeds& known) {
    known_ = known;
    if (of_course_ && of_course_->person != person()) of_course_.reset();
    group_known_.clear();
    group_->setVisible(person() == 0 && group_->count() > 0);
    say_known();
    form_chosen();
    emit changed();
}

void NeedsForm::take_day(const Needs& day, const QString& words) {
    filling_ = true;
    minutes_->setValue(static_cast<int>(std::lround(day.minutes)));
    pace_->setValue(day.pace);
    for (const auto& [id, c] : themes_) c->setChecked(day.themes.contains(id));
    chair_->setChecked(day.chair), wall_->setChecked(day.wall), stick_->setChecked(day.stick);
    if (!day.helper) helper_->setChecked(false);
    grow_->setChecked(false);
    wanted_->clear();
    of_course_ = CourseDay{person(), day, words};
    for (const auto& id : day.wanted) add_wanted(id);
    fill_forms();
    form_->setCurrentIndex(day.form ? std::max(0, form_->findData(QString::fromStdString(day.form->form))) : 0);
    form_chosen();
    if (day.form) {
        form_known_->setValue(day.form->known);
        form_recall_->setChecked(day.form->recall);
    }
    filling_ = false;
    say_known();
    emit changed();
}

void NeedsForm::let_day_go() {
    of_course_.reset();
    say_known();
    emit changed();
}

void NeedsForm::set_group(const std::vector<PersonNeeds>& group) {
    known_ = {};
    group_known_ = group;
    say_known();
    emit changed();
}

/// What letters asked for, and what was agreed with whom.
void NeedsForm::say_known() {
    QStringList words;
    for (const auto& one : group_known_) {
        QStringList limits;
        for (const auto& a : one.agreements)
            if (!a.limit().empty()) limits << text::check_name(a.check, session_.catalogue);
        if (!limits.isEmpty())
            words << tr("%1: %2").arg(QString::fromStdString(one.facts.alias.empty() ? one.person.name : one.facts.alias),
                                      limits.join(QStringLiteral(", ")));
    }
    const PersonNeeds& known = known_;
    day_off_->setVisible(of_course_.has_value());
    if (of_course_) words << of_course_->words;
    for (const auto& a : of_course_ ? of_course_->needs.asked : known.asked) {
        const auto m = session_.movement(a.movement);
        const Rule* r = rule_book().find(a.rule);
        words << tr("Last letter: %1 (%2)")
                     .arg(m ? said(m->name) : QString::fromStdString(a.movement), r ? said(r->name) : QString::fromStdString(a.rule));
    }
    for (const auto& a : known.agreements)
        if (!a.limit().empty()) words << text::check_name(a.check, session_.catalogue);
    words.removeDuplicates();
    asked_->setText(words.isEmpty() ? tr("Nothing by letters or agreements.") : words.join(QLatin1Char('\n')));
}

void NeedsForm::add_wanted(const std::string& movement) {
    const auto m = session_.movement(movement);
    if (!m) return;
    for (int i = 0; i < wanted_->count(); ++i)
        if (wanted_->item(i)->data(Qt::UserRole).toString().toStdString() == movement) return;
    auto* it = new QListWidgetItem(said(m->name), wanted_);
    it->setData(Qt::UserRole, QString::fromStdString(movement));
    emit changed();
}

Needs NeedsForm::needs() const {
    Needs n;
    n.minutes = minutes_->value();
    n.pace = pace_->value();
    n.breath_s = breath_->value();
    if (energy_->value() >= 0) n.energy = energy_->value();
    n.steadier = steadier_->currentData().toString().toStdString();
    n.dizzy = dizzy_->isChecked();
    n.unsteady = unsteady_->isChecked();
    for (const auto& [id, c] : care_)
        if (c->isChecked()) n.care.insert(id);
    for (const auto& [id, c] : themes_)
        if (c->isChecked()) n.themes.insert(id);
    n.helper = helper_->isChecked();
    n.chair = chair_->isChecked(), n.wall = wall_->isChecked(), n.stick = stick_->isChecked();
    person() == 0 ? know_group(n, group_known_) : know_person(n, known_);
    if (of_course_) {
        const Needs& day = of_course_->needs;
        n.asked = day.asked, n.practised = day.practised;
        if (day.balance_step > 0) n.balance_step = n.balance_step > 0 ? std::min(n.balance_step, day.balance_step) : day.balance_step;
    }
    std::vector<std::string> wanted;
    for (int i = 0; i < wanted_->count(); ++i) wanted.push_back(wanted_->item(i)->data(Qt::UserRole).toString().toStdString());
    if (const auto f = session_.forms().form(std::string(form_prefix) + form_->currentData().toString().toStdString())) {
        n.form = grow_form(*f, known_.weak, form_known_->value());
        n.form->mirrored = form_mirrored_->isChecked();
        n.form->recall = form_recall_->isChecked();
        session_.practise(n.form->form, n.form->mirrored);
    }
    // What serves as well takes turns from day to day.
    n.seed = seed_of_day(today(), person());
    grow_->isChecked() && wanted.size() > 1 ? n.sequence = wanted : n.wanted = wanted;
    return n;
}

} // namespace bevel::ui
