#include "ui/forms/linked_editor.h"
#include "ui/forms/editor_parts.h"
#include "ui/text/data_words.h"
#include <algorithm>
#include <cmath>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>

namespace bevel::ui {
namespace {

enum Lead { leads_left, leads_right, turns_left, turns_right };

void narrow(QComboBox* box, int letters) {
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    box->setMinimumContentsLength(letters);
}

/// All movements by the name that is shown.
void fill_movements(QComboBox* box, const Session& session) {
    std::vector<std::pair<QString, QString>> all;
    for (const auto& m : session.movements.all()) all.emplace_back(said(m.name), QString::fromStdString(m.id));
    std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return QString::localeAwareCompare(a.first, b.first) < 0; });
    for (const auto& [name, id] : all) box->addItem(name, id);
}

} // namespace

LinkedEditor::LinkedEditor(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    build();
}

void LinkedEditor::build() {
    auto* inner = new QWidget;
    inner->setObjectName(QStringLiteral("inCard"));
    auto* form = new QFormLayout(inner);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setContentsMargins(2, 4, 10, 4);
    whose_ = new QLabel;
    whose_->setWordWrap(true);
    whose_->setObjectName(QStringLiteral("faint"));
    form->addRow(whose_);
    build_buttons(form);
    problem_ = new QLabel;
    problem_->setObjectName(QStringLiteral("linkedProblem"));
    problem_->setWordWrap(true);
    problem_->hide();
    form->addRow(problem_);
    build_words(form);
    build_list(form);
    build_part(form);
    put_scrolled(this, inner, tr("Change the form"));
}

void LinkedEditor::build_buttons(QFormLayout* form) {
    const auto [copy, reset, write, read] =
        add_buttons(form, {{{"copyLinked", tr("Make a copy"), tr("A form of your own that begins as this one")},
                            {"resetLinked", tr("As shipped"), tr("Takes back all of your own changes to this form")},
                            {"exportLinked", tr("Export …"), tr("Writes the form to a file, for another instructor")},
                            {"importLinked", tr("Import …"), tr("Reads a form or a movement from a file")}}});
    reset_ = reset;
    connect(copy, &QPushButton::clicked, this, &LinkedEditor::copy_asked);
    connect(reset, &QPushButton::clicked, this, &LinkedEditor::reset_asked);
    connect(write, &QPushButton::clicked, this, &LinkedEditor::export_asked);
    connect(read, &QPushButton::clicked, this, &LinkedEditor::import_asked);
}

void LinkedEditor::build_words(QFormLayout* form) {
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("linkedName"));
    name_->setAccessibleName(tr("Name"));
    connect(name_, &QLineEdit::editingFinished, this, [this] {
        const QString now = name_->text().trimmed();
        if (form_ && now != said(form_->name)) change(tr("the name"), [&](LinkedForm& f) { f.name = now.toStdString(); });
    });
    form->addRow(tr("Name"), name_);
    about_ = new LeftEdit;
    about_->setObjectName(QStringLiteral("linkedAbout"));
    about_->setAccessibleName(tr("What it is for"));
    about_->setTabChangesFocus(true);
    about_->setStyleSheet(QStringLiteral("min-height: %1px;").arg(session_.theme.wide(46))); // two lines; the theme's own is one
    about_->setMaximumHeight(session_.theme.wide(58));
    connect(about_, &LeftEdit::left, this, [this] {
        const QString now = about_->toPlainText().trimmed();
        if (form_ && now != said(form_->about)) change(tr("what it is for"), [&](LinkedForm& f) { f.about = now.toStdString(); });
    });
    form->addRow(tr("What it is for"), about_);
}

/// The parts in order, and what is done with one of them as a whole.
void LinkedEditor::build_list(QFormLayout* form) {
    parts_ = new QListWidget;
    parts_->setObjectName(QStringLiteral("linkedParts"));
    parts_->setAccessibleName(tr("Parts in their order"));
    parts_->setMinimumHeight(session_.theme.wide(150));
    parts_->setDragDropMode(QAbstractItemView::InternalMove);
    parts_->setDefaultDropAction(Qt::MoveAction);
    form->addRow(tr("Parts, in their order: drag, or Alt with ↑ ↓"), parts_);
    auto* line = new QHBoxLayout;
    auto button = [&](QPushButton*& b, const char* name, const QString& label, const QString& tip) {
        b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tip);
        b->setAccessibleName(tip);
        if (label.size() == 1) b->setMaximumWidth(session_.theme.wide(40));
        line->addWidget(b);
    };
    button(up_, "partUp", QStringLiteral("↑"), tr("The part one earlier"));
    button(down_, "partDown", QStringLiteral("↓"), tr("The part one later"));
    button(twice_, "partTwice", tr("Again"), tr("The same part once more after it, led by the other side"));
    button(remove_, "partOut", tr("Take out"), tr("The part is left out of the form"));
    form->addRow(line);
    add_ = new QComboBox;
    add_->setObjectName(QStringLiteral("addPart"));
    add_->setAccessibleName(tr("Movement to add"));
    narrow(add_, 8);
    fill_movements(add_, session_);
    auto* add = new QPushButton(tr("Add it"));
    add->setObjectName(QStringLiteral("addPartNow"));
    add->setToolTip(tr("After the chosen part"));
    auto* second = new QHBoxLayout;
    second->addWidget(add_, 1);
    second->addWidget(add);
    form->addRow(second);
    connect(parts_, &QListWidget::currentRowChanged, this, [this](int row) {
        show_part();
        if (row >= 0) emit entry_chosen(row);
    });
    connect(parts_->model(), &QAbstractItemModel::rowsMoved, this, [this](const QModelIndex&, int from, int, const QModelIndex&, int to) {
        const int at = to > from ? to - 1 : to;
        QMetaObject::invokeMethod( // once the list is done with the drop
            this,
            [this, from, at] {
                change(
                    tr("the order of the parts"),
                    [&](LinkedForm& f) {
                        const auto part = f.parts[static_cast<std::size_t>(from)];
                        f.parts.erase(f.parts.begin() + from);
                        f.parts.insert(f.parts.begin() + at, part);
                    },
                    at);
            },
            Qt::QueuedConnection);
    });
    connect(up_, &QPushButton::clicked, this, [this] { move_part(-1); });
    connect(down_, &QPushButton::clicked, this, [this] { move_part(1); });
    connect(remove_, &QPushButton::clicked, this, [this] {
        const int at = entry();
        if (at >= 0)
            change(
                tr("a part taken out"), [&](LinkedForm& f) { f.parts.erase(f.parts.begin() + at); }, std::max(0, at - 1));
    });
    connect(twice_, &QPushButton::clicked, this, [this] {
        const int at = entry();
        if (at < 0) return;
        change(
            tr("a part once more"),
            [&](LinkedForm& f) {
                FormPart again = f.parts[static_cast<std::size_t>(at)];
                again.side = other(again.side);
                again.turn = 0;
                again.name.reset();
                f.parts.insert(f.parts.begin() + at + 1, again);
            },
            at + 1);
    });
    connect(add, &QPushButton::clicked, this, [this] {
        const std::string id = add_->currentData().toString().toStdString();
        const int at = entry();
        change(
            tr("a part added"),
            [&](LinkedForm& f) {
                FormPart part;
                part.movement = id;
                f.parts.insert(f.parts.begin() + at + 1, part);
            },
            at + 1);
    });
}

/// The chosen part: which movement, in which version, led by whom, under which name.
void LinkedEditor::build_part(QFormLayout* form) {
    const auto combo = [&](QComboBox*& box, const char* name, const QString& label, int letters) {
        box = new QComboBox;
        box->setObjectName(QLatin1String(name));
        box->setAccessibleName(label);
        box->setToolTip(label);
        narrow(box, letters);
    };
    combo(movement_, "partMovement", tr("Movement of the part"), 8);
    fill_movements(movement_, session_);
    combo(version_, "partVersion", tr("Graded version of the part"), 5);
    combo(side_, "partSide", tr("Side that leads"), 5);
    for (const auto& [words, lead] : {std::pair{tr("left leads"), leads_left},
                                      {tr("right leads"), leads_right},
                                      {tr("in turn, left first"), turns_left},
                                      {tr("in turn, right first"), turns_right}})
        side_->addItem(words, lead);
    combo(from_, "partFrom", tr("First phase that is done"), 5);
    combo(until_, "partUntil", tr("Last phase that is done"), 5);
    form->addRow(tr("The chosen part"), movement_);
    const auto row = [&](QWidget* a, QWidget* b) {
        auto* line = new QHBoxLayout;
        line->addWidget(a, 1);
        line->addWidget(b, 1);
        form->addRow(line);
    };
    build_numbers();
    row(side_, times_);
    row(version_, pace_);
    connect(movement_, &QComboBox::activated, this, [this] {
        change_part(tr("the movement of a part"), [&](FormPart& p) {
            p.movement = movement_->currentData().toString().toStdString();
            p.version.clear(), p.from.clear(), p.until.clear();
        });
    });
    connect(version_, &QComboBox::activated, this, [this] {
        change_part(tr("the version of a part"), [&](FormPart& p) { p.version = version_->currentData().toString().toStdString(); });
    });
    connect(side_, &QComboBox::activated, this, [this] {
        const int lead = side_->currentData().toInt();
        change_part(tr("the side that leads"), [&](FormPart& p) {
            p.side = lead == leads_left || lead == turns_left ? Side::left : Side::right;
            p.alternate = lead == turns_left || lead == turns_right;
            if (p.alternate && p.repeats < 2) p.repeats = 2;
        });
    });
    for (auto* box : {from_, until_})
        connect(box, &QComboBox::activated, this, [this, box] {
            const std::string id = box->currentData().toString().toStdString();
            change_part(tr("the phases of a part"), [&](FormPart& p) { (box == from_ ? p.from : p.until) = id; });
        });
    row(from_, until_);
    const auto field = [&](QLineEdit*& edit, const char* name, const QString& label, const QString& tip) {
        edit = new QLineEdit;
        edit->setObjectName(QLatin1String(name));
        edit->setAccessibleName(label);
        edit->setPlaceholderText(label);
        edit->setToolTip(tip);
    };
    field(called_, "partCalled", tr("called in this form"), tr("The name of the part in this form; empty: the movement's own"));
    field(group_, "partGroup", tr("taught with"), tr("Parts of one group are taught together: the same word for all of them"));
    row(called_, turn_);
    form->addRow(group_);
    connect(called_, &QLineEdit::editingFinished, this, [this] {
        const std::string now = called_->text().trimmed().toStdString();
        change_part(tr("the name of a part"), [&](FormPart& p) { p.name = now.empty() ? std::nullopt : std::optional(now); });
    });
    connect(group_, &QLineEdit::editingFinished, this, [this] {
        const std::string now = group_->text().trimmed().toStdString();
        change_part(tr("the group of a part"), [&](FormPart& p) { p.group = now; });
    });
}

/// How often, turned by how much, at which pace.
void LinkedEditor::build_numbers() {
    times_ = new QSpinBox;
    times_->setObjectName(QStringLiteral("partTimes"));
    times_->setAccessibleName(tr("How often"));
    times_->setToolTip(tr("How often it is done before the next part"));
    times_->setRange(1, 60);
    times_->setPrefix(QStringLiteral("× "));
    turn_ = new QSpinBox;
    turn_->setObjectName(QStringLiteral("partTurn"));
    turn_->setAccessibleName(tr("Turn before it"));
    turn_->setToolTip(tr("Turn before it, degrees: to own left above 0, to own right below"));
    turn_->setRange(-360, 360);
    turn_->setSingleStep(45);
    turn_->setPrefix(tr("turn "));
    turn_->setSuffix(QStringLiteral("°"));
    pace_ = new QDoubleSpinBox;
    pace_->setObjectName(QStringLiteral("partPace"));
    pace_->setAccessibleName(tr("Time of the part"));
    pace_->setToolTip(tr("How long it takes against the movement's own time: 100 % is its own, 150 % half as long again"));
    pace_->setRange(30, 400);
    pace_->setDecimals(0);
    pace_->setSingleStep(10);
    pace_->setSuffix(tr(" % time"));
    for (QAbstractSpinBox* s : std::initializer_list<QAbstractSpinBox*>{times_, turn_, pace_}) {
        s->setKeyboardTracking(false);
        s->setMinimumWidth(session_.theme.wide(90));
    }
    connect(times_, &QSpinBox::valueChanged, this,
            [this](int v) { change_part(tr("how often a part is done"), [&](FormPart& p) { p.repeats = v; }); });
    connect(turn_, &QSpinBox::valueChanged, this,
            [this](int v) { change_part(tr("the turn before a part"), [&](FormPart& p) { p.turn = v; }); });
    connect(pace_, &QDoubleSpinBox::valueChanged, this,
            [this](double v) { change_part(tr("the time of a part"), [&](FormPart& p) { p.pace = v / 100; }); });
}

void LinkedEditor::move_part(int by) {
    const int at = entry(), to = at + by;
    if (!form_ || at < 0 || to < 0 || to >= static_cast<int>(form_->parts.size())) return;
    change(
        tr("the order of the parts"),
        [&](LinkedForm& f) { std::swap(f.parts[static_cast<std::size_t>(at)], f.parts[static_cast<std::size_t>(to)]); }, to);
}

int LinkedEditor::entry() const {
    return parts_->currentRow();
}

void LinkedEditor::choose(int entry) {
    const QSignalBlocker quiet(parts_);
    parts_->setCurrentRow(entry);
    show_part();
}

QString LinkedEditor::line_of(const FormPart& part, int first) const {
    const auto m = session_.movement(part.movement);
    const QString name = part.name ? said(*part.name) : m ? said(m->name) : QString::fromStdString(part.movement);
    QStringList more;
    if (!m || !m->symmetric()) more << (part.alternate ? tr("in turn") : text::side(part.side));
    if (part.repeats > 1) more << QStringLiteral("× %1").arg(part.repeats);
    if (part.turn != 0) more << QStringLiteral("%1 %2°").arg(QChar(part.turn > 0 ? 0x21BA : 0x21BB)).arg(std::abs(part.turn), 0, 'f', 0);
    const QString number = part.repeats > 1 ? QStringLiteral("%1–%2").arg(first).arg(first + part.repeats - 1) : QString::number(first);
    return QStringLiteral("%1. %2%3")
        .arg(number, name, more.isEmpty() ? QString() : QStringLiteral(" (%1)").arg(more.join(QStringLiteral(", "))));
}

void LinkedEditor::show_form(const LinkedForm& form, bool has_shipped) {
    const bool same = form_ && form_->id == form.id;
    const int at = wanted_ >= 0 ? std::exchange(wanted_, -1) : same ? entry() : 0;
    form_ = form;
    problem_->hide();
    whose_->setText(!form.own     ? tr("As it came with Bevel. Any change makes it your own; it can be taken back.")
                    : has_shipped ? tr("Your own version; the shipped one is kept.")
                                  : tr("A form of your own."));
    reset_->setText(form.own && !has_shipped ? tr("Delete it") : tr("As shipped"));
    reset_->setEnabled(form.own);
    name_->setText(said(form.name));
    about_->setPlainText(said(form.about));
    {
        const QSignalBlocker quiet(parts_);
        parts_->clear();
        int first = 1;
        for (const auto& p : form.parts) {
            parts_->addItem(line_of(p, first));
            first += p.repeats;
        }
        parts_->setCurrentRow(std::clamp(at, 0, parts_->count() - 1));
    }
    show_part();
}

void LinkedEditor::fill_phases(const Movement& m, const FormPart& part) {
    for (auto* box : {from_, until_}) {
        box->clear();
        box->addItem(box == from_ ? tr("from start") : tr("to end"), QString());
        for (const auto& p : m.phases)
            box->addItem(box == from_ ? tr("from: %1").arg(said(p.name)) : tr("until: %1").arg(said(p.name)), QString::fromStdString(p.id));
        box->setCurrentIndex(std::max(0, box->findData(QString::fromStdString(box == from_ ? part.from : part.until))));
    }
}

void LinkedEditor::show_part() {
    const int at = entry();
    const bool there = form_ && at >= 0 && at < static_cast<int>(form_->parts.size());
    for (QWidget* w :
         std::initializer_list<QWidget*>{movement_, version_, side_, from_, until_, called_, group_, times_, turn_, pace_, twice_})
        w->setEnabled(there);
    up_->setEnabled(there && at > 0);
    down_->setEnabled(there && at + 1 < static_cast<int>(form_->parts.size()));
    remove_->setEnabled(there && form_->parts.size() > 1);
    if (!there) return;
    const FormPart& part = form_->parts[static_cast<std::size_t>(at)];
    const QSignalBlocker b1(times_), b2(turn_), b3(pace_);
    movement_->setCurrentIndex(movement_->findData(QString::fromStdString(part.movement)));
    version_->clear();
    version_->addItem(tr("as it is"), QString());
    if (const auto m = session_.movement(part.movement)) {
        for (const auto& v : m->versions)
            if (v.change) version_->addItem(said(v.name), QString::fromStdString(v.name));
        fill_phases(*m, part);
    }
    version_->setCurrentIndex(std::max(0, version_->findData(QString::fromStdString(part.version))));
    const bool left = part.side == Side::left;
    side_->setCurrentIndex(side_->findData(part.alternate ? (left ? turns_left : turns_right) : left ? leads_left : leads_right));
    called_->setText(part.name ? said(*part.name) : QString());
    group_->setText(said(part.group));
    times_->setValue(part.repeats);
    turn_->setValue(static_cast<int>(std::lround(part.turn)));
    pace_->setValue(100 * part.pace);
}

void LinkedEditor::change(const QString& what, const std::function<void(LinkedForm&)>& how, int then) {
    if (!form_) return;
    LinkedForm next = *form_;
    how(next);
    if (next.parts == form_->parts && next.name == form_->name && next.about == form_->about) return;
    problem_->hide();
    wanted_ = then;
    emit edited(what, form_json(next));
}

void LinkedEditor::change_part(const QString& what, const std::function<void(FormPart&)>& how) {
    const int at = entry();
    if (at >= 0)
        change(
            what, [&](LinkedForm& f) { how(f.parts[static_cast<std::size_t>(at)]); }, at);
}

void LinkedEditor::problem(const QString& words) {
    wanted_ = -1;
    if (form_) show_part(); // as it stands
    problem_->setStyleSheet(QStringLiteral("color: %1;").arg(session_.theme.palette.outside.name()));
    problem_->setText(words);
    problem_->setVisible(!words.isEmpty());
}

void LinkedEditor::say(const QString& words) {
    problem_->setStyleSheet({});
    problem_->setText(words);
    problem_->setVisible(!words.isEmpty());
}

} // namespace bevel::ui
