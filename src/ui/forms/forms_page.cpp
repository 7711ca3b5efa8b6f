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
#include <QSlider>
#include <QStackedWidget>
#include <QTableWidget>
#include <QTabWidget>
#include <QTextBrowser>
#include <QToolButton>
#include <QVBoxLayout>
#include <set>

namespace bevel::ui {
namespace {

/// A fault with the size that makes it plain, and the largest.
struct ShownFault {
    sim::Fault fault;
    double plain, most;
};
const std::array<ShownFault, 14>& faults() {
    using F = sim::Fault;
    static const std::array<ShownFault, 14> all{{{F::stance_narrow, 0.3, 0.6},
                                                 {F::stance_wide, 0.3, 0.6},
                                                 {F::knee_in, 14, 25},
                                                 {F::knee_past_toe, 10, 18},
                                                 {F::knee_locked, 7, 10},
                                                 {F::early_weight, 0.8, 1.6},
                                                 {F::shift_incomplete, 0.2, 0.35},
                                                 {F::lean_forward, 14, 25},
                                                 {F::lean_side, 10, 18},
                                                 {F::head_forward, 7, 12},
                                                 {F::turn_gap, 20, 35},
                                                 {F::hurried_shift, 0.4, 0.7},
                                                 {F::halting_shift, 0.9, 1.8},
                                                 {F::hips_turn_foot_off, 15, 30}}};
    return all;
}

constexpr int check_faults = 1000; // from there on: faults of the movement's own checks, low and high in turn

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

QWidget* FormsPage::build_figure() {
    auto* middle = new QWidget;
    figure_ = new FigureView(session_);
    time_ = new QSlider(Qt::Horizontal);
    time_->setObjectName(QStringLiteral("formTime"));
    time_->setAccessibleName(tr("Where in the movement"));
    time_->setRange(0, 1000);
    play_ = new QToolButton;
    play_->setText(tr("Play"));
    play_->setObjectName(QStringLiteral("playForm"));
    play_->setCheckable(true);
    play_->setToolTip(tr("Play or pause (Space)"));
    play_->setFocusPolicy(Qt::TabFocus);
    speed_ = new QComboBox;
    speed_->setAccessibleName(tr("Speed"));
    for (const auto& [label, v] : {std::pair{tr("¼×"), 0.25}, {tr("½×"), 0.5}, {tr("1×"), 1.0}, {tr("2×"), 2.0}}) speed_->addItem(label, v);
    speed_->setCurrentIndex(2);
    around_ = new QSlider(Qt::Horizontal);
    around_->setObjectName(QStringLiteral("around"));
    around_->setAccessibleName(tr("From which side it is seen"));
    around_->setToolTip(tr("From which side it is seen: the middle is the front"));
    around_->setRange(-180, 180);
    around_->setValue(25);
    fault_ = new QComboBox;
    fault_->setObjectName(QStringLiteral("fault"));
    fault_->setAccessibleName(tr("Show a fault beside the right one"));
    fault_->addItem(tr("no fault"), -1);
    for (std::size_t i = 0; i < faults().size(); ++i) {
        const std::array<QString, 14> names{tr("stance too narrow"),
                                            tr("stance too wide"),
                                            tr("knee falls in"),
                                            tr("knee past the toe"),
                                            tr("knee locked"),
                                            tr("weight comes early"),
                                            tr("shift not complete"),
                                            tr("leans forward"),
                                            tr("leans to the side"),
                                            tr("head ahead"),
                                            tr("shoulders run ahead of the hips"),
                                            tr("hurried shift"),
                                            tr("halting shift"),
                                            tr("hips turn while a foot is off")};
        fault_->addItem(tr("fault: %1").arg(names[i]), static_cast<int>(i));
    }
    way_ = new QComboBox;
    way_->setObjectName(QStringLiteral("formWay"));
    way_->setAccessibleName(tr("Graded version"));
    way_->setToolTip(tr("An easier way: shown, judged and practised as a movement of its own"));
    lane_ = new QComboBox;
    lane_->setObjectName(QStringLiteral("formLane"));
    lane_->setAccessibleName(tr("Measure of the lane"));
    for (auto* b : {way_, lane_, fault_}) b->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    course_ = new CourseView(session_);
    connect(course_, &CourseView::chosen, this, [this](double t) { figure_->play(false), figure_->set_time(t); });
    connect(course_, &CourseView::told, this, [this] {
        const QSignalBlocker quiet(lane_);
        const QVariant had = lane_->currentData();
        lane_->clear();
        for (const auto& id : course_->measures())
            lane_->addItem(session_.catalogue.name(QString::fromStdString(id)), QString::fromStdString(id));
        lane_->setCurrentIndex(std::max(0, lane_->findData(had)));
        course_->show_lane(lane_->currentData().toString().toStdString());
    });
    connect(lane_, &QComboBox::currentIndexChanged, this, [this] { course_->show_lane(lane_->currentData().toString().toStdString()); });
    connect(way_, &QComboBox::currentIndexChanged, this, &FormsPage::show_way);
    floor_ = new FloorPathView(session_);
    connect(floor_, &FloorPathView::chosen, this, [this](double t) { figure_->play(false), figure_->set_time(t); });
    stage_ = new QStackedWidget;
    stage_->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    stage_->addWidget(course_);
    stage_->addWidget(floor_);
    size_ = new QSlider(Qt::Horizontal);
    size_->setObjectName(QStringLiteral("faultSize"));
    size_->setAccessibleName(tr("How large the fault is"));
    size_->setToolTip(tr("How large the fault is"));
    size_->setRange(10, 100);
    size_->setValue(60);
    size_->setEnabled(false);
    auto* bar = new QHBoxLayout;
    bar->addWidget(play_);
    bar->addWidget(speed_);
    bar->addWidget(time_, 1);
    // Each with its name above it; how large a fault is, only beside a fault.
    auto* second = new FlowLayout;
    second->setSpacing(10);
    for (const auto& [w, name] : {std::pair<QWidget*, QString>{lane_, tr("Lane")},
                                  {way_, tr("Done as")},
                                  {fault_, tr("Beside it")},
                                  {size_, tr("how much of it")},
                                  {around_, tr("Seen from")}}) {
        auto* both = new QWidget;
        auto* above = new QVBoxLayout(both);
        above->setContentsMargins(0, 0, 0, 0);
        above->setSpacing(0);
        auto* label = new QLabel(name);
        label->setObjectName(QStringLiteral("faint"));
        label->setBuddy(w);
        above->addWidget(label);
        above->addWidget(w);
        second->addWidget(both);
        if (w == size_) size_box_ = both;
        if (w == way_) way_box_ = both;
        if (w == lane_) lane_box_ = both;
    }
    size_box_->hide();
    auto* box = new QVBoxLayout(middle);
    box->setContentsMargins(0, 0, 0, 0);
    for (auto* s : {size_, around_}) s->setMinimumWidth(90);
    box->addWidget(figure_, 1);
    box->addLayout(bar);
    box->addWidget(stage_);
    box->addLayout(second);
    connect(play_, &QToolButton::toggled, figure_, &FigureView::play);
    connect(figure_, &FigureView::played, this, [this](bool on) {
        play_->setChecked(on);
        play_->setText(on ? tr("Pause") : tr("Play"));
    });
    connect(speed_, &QComboBox::currentIndexChanged, this, [this] { figure_->set_speed(speed_->currentData().toDouble()); });
    connect(time_, &QSlider::sliderMoved, this, [this](int v) { figure_->set_time(v * figure_->duration() / 1000); });
    connect(time_, &QSlider::valueChanged, this, [this](int v) {
        if (!time_->isSliderDown() && time_->hasFocus()) figure_->set_time(v * figure_->duration() / 1000); // by keys
    });
    connect(around_, &QSlider::valueChanged, figure_, &FigureView::set_azimuth);
    connect(figure_, &FigureView::turned, this, [this](double azimuth) {
        const QSignalBlocker quiet(around_);
        around_->setValue(static_cast<int>(std::lround(azimuth)));
    });
    connect(figure_, &FigureView::moved, this, [this](double t) {
        const QSignalBlocker quiet(time_);
        course_->set_time(t);
        floor_->set_time(t);
        if (!time_->isSliderDown()) time_->setValue(static_cast<int>(1000 * t / std::max(0.1, figure_->duration())));
        const int row = linked() ? figure_->part() : figure_->phase().first;
        if (phases_->currentRow() != row) {
            const QSignalBlocker still(phases_);
            phases_->setCurrentCell(row, 0);
        }
    });
    connect(fault_, &QComboBox::currentIndexChanged, this, &FormsPage::show_fault);
    connect(size_, &QSlider::valueChanged, this, &FormsPage::show_fault);
    return middle;
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
    tabs_->addTab(about_, tr("About"));
    tabs_->addTab(parts, tr("Phases"));
    tabs_->addTab(judged, tr("Rules"));
    editor_ = new FormEditor(session_);
    linked_editor_ = new LinkedEditor(session_);
    change_ = new QStackedWidget;
    change_->addWidget(editor_);
    change_->addWidget(linked_editor_);
    tabs_->addTab(change_, tr("Change"));
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
    connect(school_, &QComboBox::currentIndexChanged, this, [this] {
        if (const auto m = way(); m && !linked()) rules_->setHtml(rules_html(*m));
    });
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

/// The faults a body is known to make, then whatever else the figure can show of what this movement is judged by.
void FormsPage::fill_faults() {
    const QSignalBlocker quiet(fault_);
    while (fault_->count() > static_cast<int>(faults().size()) + 1) fault_->removeItem(fault_->count() - 1);
    fault_->setCurrentIndex(0);
    size_->setEnabled(false);
    size_box_->hide();
    const auto m = way();
    if (!m || linked()) return; // of a form, those of the body alone
    std::set<QString> named;
    for (std::size_t k = 0; k < m->checks.size(); ++k) {
        const auto& c = m->checks[k];
        for (const bool high : {false, true}) {
            if (!(high ? c.high : c.low) || !astray(*m, c, high, 1)) continue;
            const QString name = session_.catalogue.name(QString::fromStdString(c.measure));
            const QString words = high ? tr("%1: too much").arg(name) : tr("%1: too little").arg(name);
            if (!named.insert(words).second) continue;
            fault_->addItem(words, check_faults + 2 * static_cast<int>(k) + (high ? 1 : 0));
        }
    }
}

void FormsPage::show_finding(const std::string& id, const std::string& check, bool high) {
    show_movement(QString::fromStdString(id));
    const auto m = way();
    if (!m || m->id != id) return;
    for (const auto& c : m->checks) {
        if (c.id != check) continue;
        // A fault of the body where there is one of this measure, else what the check itself shows.
        using F = sim::Fault;
        static const std::map<std::pair<std::string, bool>, F> known{
            {{"stance.width", false}, F::stance_narrow},   {{"stance.width", true}, F::stance_wide},
            {{"knee.inward", true}, F::knee_in},           {{"knee.toe", true}, F::knee_in},
            {{"knee.ahead", true}, F::knee_past_toe},      {{"knee.flexion", false}, F::knee_locked},
            {{"weight.landing", true}, F::early_weight},   {{"lag.flat_to_shift", false}, F::early_weight},
            {{"weight.lead", false}, F::shift_incomplete}, {{"trunk.lean", true}, F::lean_forward},
            {{"head.offset", true}, F::head_forward},      {{"turn.gap", true}, F::turn_gap},
            {{"shift.duration", false}, F::hurried_shift}, {{"phase.pace", false}, F::hurried_shift},
            {{"shift.stops", true}, F::halting_shift},     {{"pelvis.turn_rate", true}, F::hips_turn_foot_off},
            {{"trunk.side", true}, F::lean_side}};
        const auto it = known.find({c.measure, high});
        for (std::size_t k = 0; it != known.end() && k < faults().size(); ++k)
            if (faults()[k].fault == it->second) return fault_->setCurrentIndex(fault_->findData(static_cast<int>(k)));
        const QString name = session_.catalogue.name(QString::fromStdString(c.measure));
        const int row = fault_->findText(high ? tr("%1: too much").arg(name) : tr("%1: too little").arg(name));
        if (row >= 0) return fault_->setCurrentIndex(row);
        count_->setText(tr("The figure cannot show this one."));
        return;
    }
}

void FormsPage::show_fault() {
    const int i = fault_->currentData().toInt();
    size_->setEnabled(i >= 0);
    size_box_->setVisible(i >= 0);
    if (i < 0) return figure_->show_fault(std::nullopt);
    if (i >= check_faults) { // of a check of this movement
        const auto m = way();
        const auto k = static_cast<std::size_t>((i - check_faults) / 2);
        const bool high = (i - check_faults) % 2 == 1;
        if (!m || k >= m->checks.size()) return;
        const auto& c = m->checks[k];
        const double band = c.low && c.high ? *c.high - *c.low : std::max(4 * c.matters, std::abs(c.low.value_or(c.high.value_or(0))));
        if (const auto other = astray(*m, c, high, 1.5 * band * size_->value() / 100.0)) figure_->show_other(*other);
        return;
    }
    const auto& f = faults()[static_cast<std::size_t>(i)];
    figure_->show_fault(sim::FaultSpec{f.fault, f.most * size_->value() / 100.0, std::nullopt});
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
