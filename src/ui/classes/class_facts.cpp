#include "ui/classes/class_facts.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/left_edit.h"
#include "ui/text/class_words.h"
#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QRegularExpressionValidator>
#include <QSpinBox>
#include <QVBoxLayout>

namespace bevel::ui {

ClassFacts::ClassFacts(const Session& session, QWidget* parent) : QWidget(parent), writes_(!session.library->read_only()) {
    auto* form = new QFormLayout;
    const auto line = [&](const char* id, const QString& label) {
        auto* e = new QLineEdit;
        e->setObjectName(QLatin1String(id));
        e->setAccessibleName(label);
        e->setMaxLength(200);
        connect(e, &QLineEdit::editingFinished, this, &ClassFacts::touched);
        form->addRow(label, e);
        return e;
    };
    name_ = line("className", tr("Name"));
    hall_ = line("classHall", tr("Hall"));
    floor_ = line("classFloor", tr("Floor"));
    floor_->setPlaceholderText(tr("wood, stone, mats, uneven …"));
    weekday_ = new QComboBox;
    weekday_->setObjectName(QStringLiteral("classWeekday"));
    weekday_->setAccessibleName(tr("Weekday"));
    weekday_->addItem(tr("no fixed day"), 0);
    for (int d = 1; d <= 7; ++d) weekday_->addItem(text::weekday(d), d);
    connect(weekday_, &QComboBox::activated, this, &ClassFacts::touched);
    form->addRow(tr("Weekday"), weekday_);
    at_ = line("classAt", tr("Begins at"));
    at_->setPlaceholderText(QStringLiteral("18:30"));
    at_->setValidator(new QRegularExpressionValidator(QRegularExpression(QStringLiteral("([01][0-9]|2[0-3]):[0-5][0-9]|")), at_));
    minutes_ = new QSpinBox;
    minutes_->setObjectName(QStringLiteral("classMinutes"));
    minutes_->setAccessibleName(tr("Minutes"));
    minutes_->setRange(4, 180);
    minutes_->setSuffix(tr(" min"));
    minutes_->setKeyboardTracking(false);
    connect(minutes_, &QSpinBox::valueChanged, this, &ClassFacts::touched);
    form->addRow(tr("Minutes"), minutes_);
    level_ = line("classLevel", tr("Level"));
    taught_ = line("classTaught", tr("Taught up to"));
    auto* hand = new QHBoxLayout;
    for (const auto& [box, id, label] : {std::tuple{&chair_, "classChair", tr("chairs")}, std::tuple{&wall_, "classWall", tr("a wall")},
                                         std::tuple{&stick_, "classStick", tr("sticks")}}) {
        *box = new QCheckBox(label);
        (*box)->setObjectName(QLatin1String(id));
        connect(*box, &QCheckBox::clicked, this, &ClassFacts::touched);
        hand->addWidget(*box);
    }
    hand->addStretch(1);
    form->addRow(tr("At hand"), hand);
    auto* notes = new LeftEdit;
    notes_ = notes;
    notes_->setObjectName(QStringLiteral("classNotes"));
    notes_->setAccessibleName(tr("Notes"));
    notes_->setTabChangesFocus(true);
    connect(notes, &LeftEdit::left, this, &ClassFacts::touched);
    form->addRow(tr("Notes"), notes_);
    auto* remove = new QPushButton(tr("Remove this class …"));
    remove->setObjectName(QStringLiteral("classRemove"));
    remove->setEnabled(writes_);
    connect(remove, &QPushButton::clicked, this, &ClassFacts::remove_asked);
    auto* hand_over = new QPushButton(tr("Hand it over"));
    hand_over->setObjectName(QStringLiteral("classHandOver"));
    auto* menu = new QMenu(hand_over);
    menu->setObjectName(QStringLiteral("classHandOvers"));
    for (const auto& [label, how] : {std::pair{tr("As a file, with names …"), HandOver::with_names},
                                     std::pair{tr("As a file, without names and notes …"), HandOver::without_names},
                                     std::pair{tr("On paper (PDF), with names …"), HandOver::page}})
        connect(menu->addAction(label), &QAction::triggered, this, [this, h = how] { emit hand_over_asked(h); });
    hand_over->setMenu(menu);
    auto* acts = new FlowLayout;
    acts->setSpacing(6);
    acts->addWidget(hand_over);
    acts->addWidget(remove);
    auto* left = new QVBoxLayout;
    left->addLayout(form, 1);
    left->addLayout(acts);
    members_ = new QListWidget;
    members_->setObjectName(QStringLiteral("classMembers"));
    members_->setAccessibleName(tr("Who belongs to the class"));
    connect(members_, &QListWidget::itemChanged, this, &ClassFacts::touched);
    auto* right = new QVBoxLayout;
    auto* head = new QLabel(tr("Who belongs to the class"));
    head->setObjectName(QStringLiteral("heading"));
    right->addWidget(head);
    right->addWidget(members_, 1);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(4, 10, 4, 4);
    all->setSpacing(24);
    all->addLayout(left, 3);
    all->addLayout(right, 2);
}

void ClassFacts::show_class(const ClassGroup& g, const std::vector<Person>& people) {
    filling_ = true;
    group_ = g;
    name_->setText(QString::fromStdString(g.name));
    hall_->setText(QString::fromStdString(g.hall));
    floor_->setText(QString::fromStdString(g.floor));
    at_->setText(QString::fromStdString(g.at));
    level_->setText(QString::fromStdString(g.level));
    taught_->setText(QString::fromStdString(g.taught));
    if (notes_->toPlainText().toStdString() != g.notes) notes_->setPlainText(QString::fromStdString(g.notes));
    weekday_->setCurrentIndex(std::max(0, weekday_->findData(g.weekday)));
    minutes_->setValue(g.minutes);
    chair_->setChecked(g.chair), wall_->setChecked(g.wall), stick_->setChecked(g.stick);
    const int at = members_->currentRow();
    members_->clear();
    for (const auto& p : people) {
        auto* it = new QListWidgetItem(QString::fromStdString(p.name), members_);
        it->setData(Qt::UserRole, static_cast<qint64>(p.id));
        it->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | (writes_ ? Qt::ItemIsUserCheckable : Qt::NoItemFlags));
        it->setCheckState(std::find(g.members.begin(), g.members.end(), p.id) != g.members.end() ? Qt::Checked : Qt::Unchecked);
    }
    members_->setCurrentRow(at);
    filling_ = false;
}

ClassGroup ClassFacts::group() const {
    ClassGroup g = group_;
    g.name = name_->text().trimmed().toStdString();
    g.hall = hall_->text().trimmed().toStdString();
    g.floor = floor_->text().trimmed().toStdString();
    g.at = at_->hasAcceptableInput() ? at_->text().toStdString() : group_.at;
    g.level = level_->text().trimmed().toStdString();
    g.taught = taught_->text().trimmed().toStdString();
    g.notes = notes_->toPlainText().toStdString();
    g.weekday = weekday_->currentData().toInt();
    g.minutes = minutes_->value();
    g.chair = chair_->isChecked(), g.wall = wall_->isChecked(), g.stick = stick_->isChecked();
    g.members.clear();
    for (int i = 0; i < members_->count(); ++i)
        if (members_->item(i)->checkState() == Qt::Checked) g.members.push_back(members_->item(i)->data(Qt::UserRole).toLongLong());
    std::sort(g.members.begin(), g.members.end());
    return g;
}

void ClassFacts::touched() {
    if (filling_ || group_.id == 0 || !writes_) return;
    ClassGroup now = group();
    if (now.name.empty()) now.name = group_.name; // a class without a name is none
    if (now == group_) return;
    const ClassGroup before = std::exchange(group_, now); // what is changed next is changed from here
    emit changed(before, now);
}

} // namespace bevel::ui
