#include "ui/forms/forms_page.h"
#include "core/movement/astray.h"
#include "ui/forms/course_view.h"
#include "ui/forms/floor_path_view.h"
#include "ui/forms/form_editor.h"
#include "ui/forms/learn_dialog.h"
#include "ui/forms/linked_editor.h"
#include "ui/forms/schools_dialog.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QStackedWidget>
#include <QTableWidget>
#include <QTabWidget>
#include <QTextBrowser>
#include <QToolButton>
#include <QVBoxLayout>
#include <set>

namespace bevel::ui {
namespace {

QString folded(const QString& s) {
    QString out;
    for (const QChar c : s.normalized(QString::NormalizationForm_KD))
        if (c.category() != QChar::Mark_NonSpacing) out += c;
    return out.toCaseFolded();
}

} // namespace

FormsPage::FormsPage(Session& session, QWidget* parent) : Place(session, "forms", parent) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Forms"));
    for (const auto& m : session_.movements.all())
        if (m.own && m.source) own_[m.id] = *m.source;
    for (const auto& s : session_.schools.all())
        if (s.own && s.source) own_schools_[s.id] = *s.source;
    for (const auto& f : session_.linked.all())
        if (f.own && f.source) own_linked_[f.id] = *f.source;
    build();
    fill_list();
}

QWidget* FormsPage::build_list() {
    auto* side = new QWidget;
    side->setMinimumWidth(session_.theme.wide(190)); // in a narrow window all three give way
    side->setMaximumWidth(session_.theme.wide(250));
    title_ = new QLabel(tr("Forms"));
    title_->setObjectName(QStringLiteral("title"));
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("searchForms"));
    search_->setAccessibleName(tr("Search by any name"));
    search_->setPlaceholderText(tr("Search by any name"));
    search_->setClearButtonEnabled(true);
    kind_ = new QComboBox;
    kind_->setObjectName(QStringLiteral("kind"));
    kind_->setAccessibleName(tr("Kind"));
    kind_->addItem(tr("every kind"), QString());
    kind_->addItem(tr("whole forms"), QString::fromUtf8(form_prefix.data(), static_cast<qsizetype>(form_prefix.size())));
    std::set<std::string> kinds, trains;
    for (const auto& m : session_.movements.all()) {
        kinds.insert(m.kind);
        trains.insert(m.trains.begin(), m.trains.end());
    }
    for (const auto& k : kinds) kind_->addItem(said(k), QString::fromStdString(k));
    trains_ = new QComboBox;
    trains_->setObjectName(QStringLiteral("trains"));
    trains_->setAccessibleName(tr("What it trains"));
    trains_->addItem(tr("whatever it trains"), QString());
    for (const auto& t : trains) trains_->addItem(tr("trains: %1").arg(said(t)), QString::fromStdString(t));
    asks_ = new QComboBox;
    asks_->setObjectName(QStringLiteral("asks"));
    asks_->setAccessibleName(tr("What it asks of knees and balance"));
    asks_->addItem(tr("for everybody or not"), 0);
    asks_->addItem(tr("easy on the knees"), 1);
    asks_->addItem(tr("easy on the balance"), 2);
    asks_->addItem(tr("easy on both"), 3);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("forms"));
    list_->setAccessibleName(tr("Movements"));
    list_->setWordWrap(true);
    list_->setSpacing(2);
    count_ = new QLabel;
    count_->setObjectName(QStringLiteral("faint"));
    count_->setWordWrap(true);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    for (QWidget* w : std::initializer_list<QWidget*>{title_, search_, kind_, trains_, asks_}) box->addWidget(w);
    auto* learn = new QPushButton(tr("From clips …"));
    learn->setObjectName(QStringLiteral("learnForm"));
    learn->setToolTip(tr("Your way of a movement, or one that is not among the forms: told from clips that show it"));
    auto* linking = new QPushButton(tr("New form"));
    linking->setObjectName(QStringLiteral("newLinked"));
    linking->setToolTip(tr("Movements one after another, as one form of your own"));
    auto* making = new FlowLayout;
    making->setSpacing(6);
    making->addWidget(learn);
    making->addWidget(linking);
    auto* practise = new QPushButton(tr("Practise it"));
    practise->setObjectName(QStringLiteral("practiseForm"));
    practise->setToolTip(tr("Into the next plan: a movement by name, a form piece by piece"));
    connect(practise, &QPushButton::clicked, this, &FormsPage::practise_shown);
    box->addWidget(list_, 1);
    box->addWidget(practise);
    box->addLayout(making);
    box->addWidget(count_);
    connect(linking, &QPushButton::clicked, this, &FormsPage::new_linked);
    connect(learn, &QPushButton::clicked, this, [this] { learn_from(0); });
    connect(search_, &QLineEdit::textChanged, this, &FormsPage::fill_list);
    for (auto* b : {kind_, trains_, asks_}) connect(b, &QComboBox::currentIndexChanged, this, &FormsPage::fill_list);
    connect(list_, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* item) {
        if (item) show_movement(item->data(Qt::UserRole).toString());
    });
    return side;
}

/// The phases, and below them how they were shown where the movement was learned.
QWidget* FormsPage::build_phases() {
    phases_ = new QTableWidget(0, 4);
    phases_->setObjectName(QStringLiteral("phases"));
    phases_->setAccessibleName(tr("Phases"));
    phases_->setHorizontalHeaderLabels({tr("Phase"), tr("Role"), tr("Breath"), tr("s")});
    phases_->verticalHeader()->hide();
    phases_->setShowGrid(false);
    phases_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    phases_->setSelectionBehavior(QAbstractItemView::SelectRows);
    phases_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (const int c : {1, 2, 3}) phases_->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    connect(phases_, &QTableWidget::currentCellChanged, this, [this](int row) { go_to_phase(row); });
    recorded_ = new QTextBrowser;
    recorded_->setObjectName(QStringLiteral("recorded"));
    recorded_->setAccessibleName(tr("As it was shown"));
    recorded_->setFrameShape(QFrame::NoFrame);
    recorded_->hide();
    auto* parts = new QWidget;
    auto* stack = new QVBoxLayout(parts);
    stack->setContentsMargins(0, 0, 0, 0);
    stack->addWidget(phases_, 3);
    stack->addWidget(recorded_, 2);
    connect(phases_, &QTableWidget::currentCellChanged, this, &FormsPage::show_recorded);
    return parts;
}

/// What it is judged by, in which school.
QWidget* FormsPage::build_rules() {
    school_ = new QComboBox;
    school_->setObjectName(QStringLiteral("formSchool"));
    school_->setAccessibleName(tr("School"));
    school_->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    fill_schools();
    auto* schools = new QToolButton;
    schools->setText(tr("Schools …"));
    schools->setObjectName(QStringLiteral("schools"));
    schools->setToolTip(tr("What each school does in its own way and why; your own schools"));
    connect(schools, &QToolButton::clicked, this, &FormsPage::show_schools);
    rules_ = new QTextBrowser;
    rules_->setObjectName(QStringLiteral("rulesOfForm"));
    rules_->setAccessibleName(tr("What it is judged by"));
    rules_->setFrameShape(QFrame::NoFrame);
    auto* judged = new QWidget;
    auto* box = new QVBoxLayout(judged);
    box->setContentsMargins(8, 8, 8, 8);
    auto* which = new FlowLayout;
    which->setSpacing(6);
    which->addWidget(school_);
    which->addWidget(schools);
    box->addLayout(which);
    box->addWidget(rules_, 1);
    connect(school_, &QComboBox::currentIndexChanged, this, [this] {
        if (const auto m = way(); m && !linked()) rules_->setHtml(rules_html(*m));
    });
    return judged;
}

QWidget* FormsPage::build_editors() {
    editor_ = new FormEditor(session_);
    linked_editor_ = new LinkedEditor(session_);
    change_ = new QStackedWidget;
    change_->addWidget(editor_);
    change_->addWidget(linked_editor_);
    connect(linked_editor_, &LinkedEditor::edited, this, [this](const QString& what, const std::string& text) {
        if (const auto f = linked()) edit_linked(what, f->id, text);
    });
    connect(linked_editor_, &LinkedEditor::entry_chosen, this, &FormsPage::go_to_entry);
    connect(linked_editor_, &LinkedEditor::copy_asked, this, &FormsPage::copy_linked);
    connect(linked_editor_, &LinkedEditor::reset_asked, this, [this] {
        if (const auto f = linked()) edit_linked(tr("your own form"), f->id, std::nullopt);
    });
    connect(linked_editor_, &LinkedEditor::export_asked, this, &FormsPage::export_shown);
    connect(linked_editor_, &LinkedEditor::import_asked, this, &FormsPage::import_form);
    connect(editor_, &FormEditor::edited, this,
            [this](const QString& what, const std::string& text) { edit(what, shown().toStdString(), text); });
    connect(editor_, &FormEditor::phase_chosen, this, &FormsPage::go_to_phase);
    connect(editor_, &FormEditor::copy_asked, this, &FormsPage::copy_shown);
    connect(editor_, &FormEditor::reset_asked, this, [this] { edit(tr("your own version"), shown().toStdString(), std::nullopt); });
    connect(editor_, &FormEditor::export_asked, this, &FormsPage::export_shown);
    connect(editor_, &FormEditor::import_asked, this, &FormsPage::import_form);
    return change_;
}

QWidget* FormsPage::build_words() {
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("formTabs"));
    tabs_->setAccessibleName(tr("About the movement"));
    tabs_->setUsesScrollButtons(false);
    tabs_->setElideMode(Qt::ElideRight);
    tabs_->setMinimumWidth(session_.theme.wide(290));
    tabs_->setMaximumWidth(session_.theme.wide(370));
    about_ = new QTextBrowser;
    about_->setObjectName(QStringLiteral("aboutForm"));
    about_->setAccessibleName(tr("About the movement"));
    about_->setFrameShape(QFrame::NoFrame);
    tabs_->addTab(about_, tr("About"));
    tabs_->addTab(build_phases(), tr("Phases"));
    tabs_->addTab(build_rules(), tr("Rules"));
    tabs_->addTab(build_editors(), tr("Change"));
    return tabs_;
}

void FormsPage::build() {
    auto* list = build_list();
    auto* words = build_words();
    auto* figure = build_figure();
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(16);
    all->addWidget(list, 2);
    all->addWidget(figure, 5);
    all->addWidget(words, 3);
}

std::shared_ptr<const Movement> FormsPage::movement() const {
    return session_.movement(shown().toStdString());
}

std::shared_ptr<const Movement> FormsPage::way() const {
    return session_.movement(shown().toStdString(), way_->currentData().toString().toStdString());
}

void FormsPage::fill_ways() {
    const auto m = movement();
    const QSignalBlocker quiet(way_);
    way_->clear();
    way_->addItem(tr("as it is"), QString());
    if (m)
        for (const auto& v : m->versions)
            if (v.change) way_->addItem(said(v.name), QString::fromStdString(v.name));
    way_->setEnabled(way_->count() > 1);
}

void FormsPage::show_way() {
    const auto m = way();
    if (!m) return;
    if (linked()) return show_linked();
    turn_to(false);
    ++form_run_; // a form that is being made is not waited for
    figure_->play(false);
    figure_->show_movement(*m);
    course_->show_movement(*m);
    fill_faults();
    fill_words();
}

/// To the end of a phase, on the left; past the last one: where the movement begins.
void FormsPage::go_to_phase(int row) {
    const auto m = way();
    if (!m || row < 0) return;
    if (linked()) return go_to_part(row);
    double t = 3; // quiet and approach come first
    for (int i = 0; i <= row && i < static_cast<int>(m->phases.size()) && row < static_cast<int>(m->phases.size()); ++i)
        t += m->phases[static_cast<std::size_t>(i)].duration_s;
    figure_->play(false);
    figure_->set_time(t - 0.02);
}

QString FormsPage::shown() const {
    const auto* item = list_->currentItem();
    return item ? item->data(Qt::UserRole).toString() : QString();
}

void FormsPage::fill_list() {
    const QString had = shown();
    const QString words = folded(search_->text().simplified());
    const int asks = asks_->currentData().toInt();
    {
        const QSignalBlocker quiet(list_);
        list_->clear();
        std::vector<std::shared_ptr<const Movement>> all_of_them;
        for (const auto& in : {session_.movements.now(), session_.faces.now()})
            for (const auto& m : *in) all_of_them.emplace_back(in, &m);
        for (const auto& one : all_of_them) {
            const Movement& m = *one;
            const bool form = m.id.starts_with(form_prefix);
            const QString name = said(m.name), pinyin = QString::fromStdString(m.pinyin);
            const QString all = folded(name + QLatin1Char(' ') + QString::fromStdString(m.name) + QLatin1Char(' ') + pinyin);
            if (!words.isEmpty() && !all.contains(words)) continue;
            if (const std::string k = kind_->currentData().toString().toStdString(); !k.empty() && (k == form_prefix ? !form : k != m.kind))
                continue;
            if (const QString t = trains_->currentData().toString();
                !t.isEmpty() && std::find(m.trains.begin(), m.trains.end(), t.toStdString()) == m.trains.end())
                continue;
            if (((asks & 1) != 0 && m.asks.knees > 1) || ((asks & 2) != 0 && m.asks.balance > 1)) continue;
            QString below = pinyin;
            if (form) {
                int parts = 0;
                for (const auto& p : session_.forms().form(m.id)->parts) parts += p.repeats;
                below = tr("whole form, %n part(s)", nullptr, parts);
            }
            auto* item = new QListWidgetItem(below.isEmpty() ? name : name + QLatin1Char('\n') + below, list_);
            item->setData(Qt::UserRole, QString::fromStdString(m.id));
        }
        list_->sortItems(); // by the name that is shown, in whatever language
    }
    const auto whole = static_cast<int>(session_.movements.size()), forms = static_cast<int>(session_.faces.size());
    count_->setText(list_->count() == whole + forms
                        ? tr("%n movement(s)", nullptr, whole) + QStringLiteral(", ") + tr("%n form(s)", "whole forms", forms)
                        : tr("%1 of %2").arg(list_->count()).arg(whole + forms));
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->data(Qt::UserRole).toString() == had) return list_->setCurrentRow(i);
    if (list_->count() > 0) list_->setCurrentRow(0);
}

void FormsPage::open(Ref ref) {
    setFocus();
    if (ref.clip == 0) return;
    if (ref.learn) return ref.whole ? learn_form(ref.clip) : learn_from(ref.clip);
    // From a clip: the movement it shows.
    session_.background->run<Result<Clip>>(
        this, [lib = session_.library, id = ref.clip](std::stop_token) { return lib->clips().get(id); },
        [this](const Result<Clip>& c) {
            if (c && !c->movement.empty()) show_movement(QString::fromStdString(c->movement));
        });
}

void FormsPage::show_movement(const QString& id) {
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->data(Qt::UserRole).toString() == id && list_->currentRow() != i) return list_->setCurrentRow(i);
    fill_ways();
    show_way();
}

void FormsPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::view, "playFormAction", tr("Play or pause the figure"), {QKeySequence(Qt::Key_Space)},
                [this] { play_->toggle(); });
    for (const auto& [label, key, degrees] : {std::tuple{tr("The figure from the front"), Qt::Key_F, 0},
                                              {tr("The figure from its left"), Qt::Key_L, 90},
                                              {tr("The figure from behind"), Qt::Key_B, 180},
                                              {tr("The figure from its right"), Qt::Key_R, -90}})
        actions.add(this, M::view, "formSide", label, {QKeySequence(key)}, [this, degrees = degrees] { around_->setValue(degrees); });
    actions.add(
        this, M::file, "formCard", tr("Card of this movement …"), {QKeySequence::Print}, [this] { print_card(); },
        tr("A sheet for students: the figure at its phases, feet, breath, what to attend to, cautions"));
    actions.add(
        this, M::file, "learnForm", tr("A movement from clips …"), {QKeySequence(Qt::CTRL | Qt::Key_L)}, [this] { learn_from(0); },
        tr("Your way of a movement, or one that is not among the forms: told from clips that show it"));
    for (const auto& [name, label, key, by] : {std::tuple{"partEarlier", tr("This part of the form earlier"), Qt::Key_Up, -1},
                                               {"partLater", tr("This part of the form later"), Qt::Key_Down, 1}})
        actions.add(this, M::edit, name, label, {QKeySequence(Qt::ALT | key)}, [this, by = by] {
            if (linked() && tabs_->currentWidget() == change_) linked_editor_->move_part(by);
        });
    actions.add(
        this, M::file, "newLinkedAction", tr("New form"), {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_N)}, [this] { new_linked(); },
        tr("Movements one after another, as one form of your own"));
    actions.add(
        this, M::clip, "practiseFormAction", tr("Practise it"), {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_P)},
        [this] { practise_shown(); }, tr("Into the next plan: a movement by name, a form piece by piece"));
    actions.add(this, M::edit, "findForm", tr("Search the movements"), {QKeySequence::Find}, [this] { search_->setFocus(); });
}

void FormsPage::new_theme() {
    figure_->update();
}

} // namespace bevel::ui
