// The figure in Forms: its controls, and a fault shown beside the right one.
#include "core/movement/astray.h"
#include "ui/forms/course_view.h"
#include "ui/forms/floor_path_view.h"
#include "ui/forms/form_editor.h"
#include "ui/forms/forms_page.h"
#include "ui/forms/learn_dialog.h"
#include "ui/forms/linked_editor.h"
#include "ui/forms/schools_dialog.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <QComboBox>
#include <QLabel>
#include <QSlider>
#include <QStackedWidget>
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
constexpr int check_faults = 1000; // from there on: faults of the movement's own checks, low and high in turn

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

} // namespace

/// What the figure is played and turned by.
void FormsPage::build_playing() {
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
}

void FormsPage::build_faults() {
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
    fault_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon); // some are sentences
    fault_->setMinimumContentsLength(17);
    size_ = new QSlider(Qt::Horizontal);
    size_->setObjectName(QStringLiteral("faultSize"));
    size_->setAccessibleName(tr("How large the fault is"));
    size_->setToolTip(tr("How large the fault is"));
    size_->setRange(10, 100);
    size_->setValue(60);
    size_->setEnabled(false);
}

/// The movement's course in time, or a whole form's way over the floor; the lane and the version that are shown.
void FormsPage::build_course() {
    way_ = new QComboBox;
    way_->setObjectName(QStringLiteral("formWay"));
    way_->setAccessibleName(tr("Graded version"));
    way_->setToolTip(tr("An easier way: shown, judged and practised as a movement of its own"));
    lane_ = new QComboBox;
    lane_->setObjectName(QStringLiteral("formLane"));
    lane_->setAccessibleName(tr("Measure of the lane"));
    for (auto* b : {way_, lane_}) b->setSizeAdjustPolicy(QComboBox::AdjustToContents);
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
}

/// The choices, each with its name before it; how large a fault is, only beside a fault.
QLayout* FormsPage::choices_row() {
    auto* second = new FlowLayout;
    second->setSpacing(10);
    for (const auto& [w, name] :
         {std::pair<QWidget*, QString>{lane_, tr("Lane")}, {way_, tr("Done as")}, {fault_, tr("Beside it")}, {around_, tr("Seen from")}}) {
        auto* both = new QWidget;
        auto* line = new QHBoxLayout(both);
        line->setContentsMargins(0, 0, 0, 0);
        line->setSpacing(6);
        auto* label = new QLabel(name);
        label->setObjectName(QStringLiteral("faint"));
        label->setBuddy(w);
        line->addWidget(label);
        line->addWidget(w);
        if (w == fault_) line->addWidget(size_);
        second->addWidget(both);
        if (w == way_) way_box_ = both;
        if (w == lane_) lane_box_ = both;
    }
    size_->hide();
    return second;
}

void FormsPage::connect_figure() {
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
}

QWidget* FormsPage::build_figure() {
    build_playing();
    build_faults();
    build_course();
    auto* bar = new QHBoxLayout;
    bar->addWidget(play_);
    bar->addWidget(speed_);
    bar->addWidget(time_, 1);
    auto* middle = new QWidget;
    auto* box = new QVBoxLayout(middle);
    box->setContentsMargins(0, 0, 0, 0);
    for (auto* s : {size_, around_}) s->setMinimumWidth(80);
    box->addWidget(figure_, 1);
    box->addLayout(bar);
    box->addWidget(stage_);
    box->addLayout(choices_row());
    connect_figure();
    return middle;
}

/// The faults a body is known to make, then whatever else the figure can show of what this movement is judged by.
void FormsPage::fill_faults() {
    const QSignalBlocker quiet(fault_);
    while (fault_->count() > static_cast<int>(faults().size()) + 1) fault_->removeItem(fault_->count() - 1);
    fault_->setCurrentIndex(0);
    size_->setEnabled(false);
    size_->hide();
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
    size_->setVisible(i >= 0);
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

} // namespace bevel::ui
