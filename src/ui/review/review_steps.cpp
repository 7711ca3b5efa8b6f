// The bars and keys of the review: how one goes through a clip.
#include "core/review/free.h"
#include "ui/paint/letter_document.h"
#include "ui/review/agreement_dialog.h"
#include "ui/review/figures_table.h"
#include "ui/review/findings_column.h"
#include "ui/review/form_strip.h"
#include "ui/review/review_page.h"
#include "ui/shell/elided_label.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/step.h"
#include <cmath>
#include <QComboBox>
#include <QFileDialog>
#include <QPushButton>
#include <QToolButton>

namespace bevel::ui {
namespace {

QToolButton* tool(const QString& label, const QString& tip, const char* name) {
    auto* b = new QToolButton;
    b->setText(label);
    b->setToolTip(tip);
    b->setAccessibleName(tip);
    b->setObjectName(QLatin1String(name));
    return b;
}

} // namespace

QWidget* ReviewPage::build_bar() {
    auto* bar = new QWidget;
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(0, 0, 0, 0);
    title_ = new ElidedLabel;
    title_->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Preferred); // gives way last
    title_->setText(tr("Review"));
    title_->setObjectName(QStringLiteral("title"));
    where_ = new ElidedLabel;
    where_->setObjectName(QStringLiteral("faint"));
    auto* letter = new QPushButton(tr("Write the letter"));
    letter->setObjectName(QStringLiteral("primary"));
    row->addWidget(title_);
    row->addSpacing(10);
    row->addWidget(where_, 1);
    for (auto* b : {one_, axis_, over_, in_room_, mirror_}) row->addWidget(b);
    row->addSpacing(10);
    row->addWidget(letter);
    connect(letter, &QPushButton::clicked, this, [this] { session_.workspace->go(QStringLiteral("letter")); });
    return bar;
}

QWidget* ReviewPage::build_transport() {
    auto* bar = new QWidget;
    transport_ = bar;
    bar->installEventFilter(this);
    auto* row = new FlowLayout(bar);
    row->setSpacing(4);
    play_ = tool(tr("Play"), tr("Play or pause (space)"), "play");
    play_->setCheckable(true);
    speed_ = new QComboBox;
    speed_->setAccessibleName(tr("Speed"));
    for (const double s : {0.1, 0.25, 0.5, 1.0, 2.0}) speed_->addItem(tr("%1×").arg(QLocale().toString(s)), s);
    speed_->setCurrentIndex(3);
    mirror_ = tool(tr("Mirror"), tr("Show both pictures mirrored (M); the display only"), "mirror");
    mirror_->setCheckable(true);
    axis_ = tool(tr("By movement"), tr("Read the time axis by the movement instead of the clock (T)"), "axis");
    axis_->setCheckable(true);
    over_ = tool(tr("Lay over"), tr("The reference's lines over the student, on the same planted foot (G)"), "layOver");
    over_->setCheckable(true);
    in_room_ =
        tool(tr("Room"), tr("The body in the room from any side, in place of the reference (V); of two clips filmed at once"), "inRoom");
    in_room_->setCheckable(true);
    in_room_->hide();
    loop_ = tool(tr("Again"), tr("Play this part of the movement over and over (O)"), "loop");
    loop_->setCheckable(true);
    one_ = tool(tr("One repetition"), tr("Only the repetition at the cursor on the time axis (Z)"), "oneRepetition");
    one_->setCheckable(true);
    struct Step {
        QString label, narrow, tip;
        const char* name;
        std::function<void()> go;
    };
    const std::vector<Step> steps{
        {tr("« Rep"), tr("«"), tr("Repetition back (Page Up)"), "repBack", [this] { step_repetition(-1); }},
        {tr("‹ Phase"), tr("‹"), tr("Phase back (Ctrl+Left)"), "phaseBack", [this] { step_phase(-1); }},
        {tr("− 1"), tr("−"), tr("Frame back (Left)"), "frameBack",
         [this] { state_.set_frame(static_cast<std::ptrdiff_t>(state_.frame) - 1); }},
        {tr("+ 1"), tr("+"), tr("Frame on (Right)"), "frameOn",
         [this] { state_.set_frame(static_cast<std::ptrdiff_t>(state_.frame) + 1); }},
        {tr("Phase ›"), tr("›"), tr("Phase on (Ctrl+Right)"), "phaseOn", [this] { step_phase(1); }},
        {tr("Rep »"), tr("»"), tr("Repetition on (Page Down)"), "repOn", [this] { step_repetition(1); }},
    };
    row->addWidget(play_);
    row->addWidget(speed_);
    for (const auto& s : steps) {
        auto* b = tool(s.narrow, s.tip, s.name); // with its words where there is room
        connect(b, &QToolButton::clicked, this, s.go);
        row->addWidget(b);
        steps_.push_back({b, s.label, s.narrow});
    }
    row->addWidget(loop_);
    steps_.push_back({loop_, tr("Again"), tr("↺")});
    connect(loop_, &QToolButton::clicked, this, &ReviewPage::loop_part);
    connect(in_room_, &QToolButton::toggled, this, &ReviewPage::show_third);
    connect(over_, &QToolButton::toggled, &state_, &ReviewState::set_laid_over);
    connect(one_, &QToolButton::toggled, &state_, &ReviewState::set_one_repetition);
    connect(play_, &QToolButton::toggled, this, &ReviewPage::play);
    connect(mirror_, &QToolButton::toggled, &state_, &ReviewState::set_mirrored);
    connect(axis_, &QToolButton::toggled, &state_, &ReviewState::set_by_movement);
    return bar;
}

/// Words on the steps where all of them have room, else signs.
bool ReviewPage::eventFilter(QObject* o, QEvent* e) {
    if (o == transport_ && e->type() == QEvent::Resize) {
        int needed = play_->sizeHint().width() + speed_->sizeHint().width() + 8;
        for (const auto& [button, label, brief] : steps_) needed += button->fontMetrics().horizontalAdvance(label) + step_margin;
        for (const auto& [button, label, brief] : steps_) button->setText(needed > transport_->width() ? brief : label);
    }
    return Place::eventFilter(o, e);
}

void ReviewPage::step_phase(int by) {
    if (!state_.open) return;
    std::vector<double> at;
    for (const auto& rep : state_.open->review->alignment.repetitions)
        for (const auto& p : rep.phases) at.push_back(p.start_s);
    const double half = 0.5 / std::max(1.0, state_.open->review->motion.rate);
    if (by > 0) {
        for (const double t : at)
            if (t > state_.time() + half) return state_.set_time(t);
    } else {
        for (auto it = at.rbegin(); it != at.rend(); ++it)
            if (*it < state_.time() - half) return state_.set_time(*it);
    }
}

void ReviewPage::step_repetition(int by) {
    if (!state_.open) return;
    const auto& reps = state_.open->review->alignment.repetitions;
    const double half = 0.5 / std::max(1.0, state_.open->review->motion.rate);
    if (by > 0) {
        for (const auto& r : reps)
            if (r.start_s > state_.time() + half) return state_.set_time(r.start_s);
    } else {
        for (auto it = reps.rbegin(); it != reps.rend(); ++it)
            if (it->start_s < state_.time() - half) return state_.set_time(it->start_s);
    }
}

void ReviewPage::play(bool on) {
    if (play_->isChecked() != on) play_->setChecked(on);
    play_->setText(on ? tr("Pause") : tr("Play"));
    clock_ = state_.time();
    since_.start();
    if (on)
        timer_.start();
    else
        timer_.stop(), keep_breaths(), looped_.reset(), loop_->setChecked(false);
}

void ReviewPage::add_actions(Actions& actions) {
    add_looking(actions);
    actions.separate();
    add_moving(actions);
    actions.separate();
    add_deciding(actions);
    actions.separate();
    add_saying(actions);
    actions.separate();
    add_breath(actions);
    actions.separate();
    actions.add(
        this, Actions::Menu::clip, "pointToFile", tr("Point to the clip's file …"), {}, [this] { point_to_file(); },
        tr("For a clip whose file was moved or lost"));
}

void ReviewPage::add_looking(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::view, "mirrorAction", tr("Mirror both pictures"), {QKeySequence(Qt::Key_M)}, [this] { mirror_->toggle(); });
    actions.add(this, M::view, "layOverAction", tr("Lay the reference over the student"), {QKeySequence(Qt::Key_G)},
                [this] { over_->toggle(); });
    actions.add(
        this, M::view, "inRoomAction", tr("The body in the room"), {QKeySequence(Qt::Key_V)},
        [this] { in_room_->isVisibleTo(this) ? in_room_->toggle() : void(); },
        tr("Of two clips filmed at once: from any side, turned by dragging"));
    actions.add(this, M::view, "axisAction", tr("Read the time axis by the movement"), {QKeySequence(Qt::Key_T)},
                [this] { axis_->toggle(); });
    actions.add(
        this, M::view, "changeOver", tr("The other clip of the pair first"), {QKeySequence(Qt::Key_X)}, [this] { change_over(); },
        tr("Two clips of one movement from two sides: their lanes and figures one after the other"));
    actions.add(this, M::view, "oneAction", tr("Only the repetition at the cursor"), {QKeySequence(Qt::Key_Z)}, [this] { one_->toggle(); });
    actions.separate();
    for (int f = 0; f < family_count; ++f)
        actions.add(this, M::view, "family", text::family(static_cast<Family>(f)), {QKeySequence(Qt::Key_1 + f)},
                    [this, f] { state_.choose_part(static_cast<Family>(f)); });
}

void ReviewPage::add_moving(Actions& actions) {
    using M = Actions::Menu;
    auto frame = [this](std::ptrdiff_t by) { state_.set_frame(static_cast<std::ptrdiff_t>(state_.frame) + by); };
    actions.add(this, M::clip, "playAction", tr("Play or pause"), {QKeySequence(Qt::Key_Space)}, [this] { play_->toggle(); });
    actions.add(this, M::clip, "loopAction", tr("Play this part over and over"), {QKeySequence(Qt::Key_O)},
                [this] { loop_part(!loop_->isChecked()); });
    actions.add(
        this, M::clip, "stillAction", tr("Picture of now …"), {QKeySequence(Qt::Key_P)}, [this] { ask_still(); },
        tr("The student's picture with its lines, as a file"));
    actions.add(this, M::clip, "frameBackAction", tr("Frame back"), {QKeySequence(Qt::Key_Left)}, [frame] { frame(-1); });
    actions.add(this, M::clip, "frameOnAction", tr("Frame on"), {QKeySequence(Qt::Key_Right)}, [frame] { frame(1); });
    actions.add(this, M::clip, "phaseBackAction", tr("Phase back"), {QKeySequence(Qt::CTRL | Qt::Key_Left)}, [this] { step_phase(-1); });
    actions.add(this, M::clip, "phaseOnAction", tr("Phase on"), {QKeySequence(Qt::CTRL | Qt::Key_Right)}, [this] { step_phase(1); });
    actions.add(this, M::clip, "repBackAction", tr("Repetition back"), {QKeySequence(Qt::Key_PageUp)}, [this] { step_repetition(-1); });
    actions.add(this, M::clip, "repOnAction", tr("Repetition on"), {QKeySequence(Qt::Key_PageDown)}, [this] { step_repetition(1); });
    actions.add(this, M::clip, "startAction", tr("To the start"), {QKeySequence(Qt::Key_Home)}, [this] { state_.set_frame(0); });
    actions.add(this, M::clip, "endAction", tr("To the end"), {QKeySequence(Qt::Key_End)},
                [this] { state_.set_frame(static_cast<std::ptrdiff_t>(state_.frames())); });
}

void ReviewPage::add_deciding(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "nextFinding", tr("Next finding"), {QKeySequence(Qt::Key_Period), QKeySequence(Qt::Key_Down)},
                [this] { findings_->step(1); });
    actions.add(this, M::clip, "findingBefore", tr("Finding before"), {QKeySequence(Qt::Key_Comma), QKeySequence(Qt::Key_Up)},
                [this] { findings_->step(-1); });
    actions.add(this, M::clip, "keepFinding", tr("Keep it for the letter, and on"), {QKeySequence(Qt::Key_K)},
                [this] { decide_shown(Choice::kept); });
    actions.add(this, M::clip, "setAsideFinding", tr("Set it aside, and on"), {QKeySequence(Qt::Key_S)},
                [this] { decide_shown(Choice::set_aside); });
    actions.add(this, M::clip, "rewordFinding", tr("Say it in your own words …"), {QKeySequence(Qt::Key_W)},
                [this] { decide_shown(std::nullopt); });
    actions.add(this, M::clip, "toLetter", tr("Write the letter"), {QKeySequence(Qt::Key_L)},
                [this] { session_.workspace->go(QStringLiteral("letter")); });
    actions.add(
        this, M::clip, "asNamed", tr("It is what it is named, all the same"), {QKeySequence(Qt::Key_Y)}, [this] { be_as_named(); },
        tr("Judges the clip as the movement it is named where it looks like another one"));
}

void ReviewPage::add_saying(Actions& actions) {
    using M = Actions::Menu;
    actions.add(
        this, M::clip, "seenHere", tr("Something seen here …"), {QKeySequence(Qt::Key_N)}, [this] { add_seen(); },
        tr("A remark of your own at this moment, where no figure tells it"));
    actions.add(
        this, M::clip, "rightHere", tr("This moment is right for the student"), {QKeySequence(Qt::Key_R)}, [this] { mark_right(); },
        tr("Head, shoulders and back as they stand here are what this student's clips from this side are held against"));
    actions.add(
        this, M::clip, "rangeHere", tr("This clip shows how far the student goes with ease …"), {}, [this] { take_range(); },
        tr("Depth, twist and side bend of a gentle test; effort in other clips is held against them"));
    actions.add(
        this, M::view, "modelAction", tr("Your own clip in place of the figure, or the figure again"), {QKeySequence(Qt::Key_I)},
        [this] { want_model(!model_wanted_); }, tr("At the same moment of the movement"));
    actions.add(this, M::clip, "beModel", tr("Show this clip beside students' clips, or no longer"), {}, [this] { be_model(); });
    actions.add(
        this, M::clip, "learnFrom", tr("A movement from this clip …"), {},
        [this] {
            if (state_.open) session_.workspace->go(QStringLiteral("forms"), {state_.open->clip.id, true});
        },
        tr("Your way of a movement, or one that is not among the forms: told from clips that show it"));
    actions.add(
        this, M::clip, "formFrom", tr("A form from this clip …"), {},
        [this] {
            Ref ref;
            if (state_.open) ref.clip = state_.open->clip.id;
            ref.learn = ref.whole = true;
            if (ref.clip != 0) session_.workspace->go(QStringLiteral("forms"), ref);
        },
        tr("The movements that follow one on the other in it, as a form of your own"));
}

void ReviewPage::add_breath(Actions& actions) {
    using M = Actions::Menu;
    actions.add(
        this, M::clip, "tapBreath", tr("A breath begins here: in, out, in …"), {QKeySequence(Qt::Key_B)}, [this] { tap_breath(); },
        tr("Tap along while the clip plays; breath cannot be seen, so it is judged by what you tap"));
    actions.add(
        this, M::clip, "readBreaths", tr("Breath from a file …"), {},
        [this] {
            if (!state_.open || session_.library->read_only()) return;
            const QString file = QFileDialog::getOpenFileName(this, tr("A breath trace"), QString(), tr("Text (*.csv *.txt)"));
            if (!file.isEmpty()) read_breaths(file);
        },
        tr("Lines of time in seconds of the clip and chest extension, or of time and in/out"));
    actions.add(
        this, M::view, "holdsAction", tr("Holds in this clip …"), {QKeySequence(Qt::Key_H)}, [this] { show_holds(); },
        tr("How long what was held, on which leg, and how far the body swayed"));
    actions.add(this, M::clip, "dropBreaths", tr("Take the tapped breath back"), {}, [this] {
        if (state_.open && !state_.open->track.layers.breaths.empty()) set_breaths(tr("the tapped breath"), {});
    });
}

} // namespace bevel::ui
