#include "ui/review/review_page.h"
#include "core/review/free.h"
#include "ui/paint/letter_document.h"
#include "ui/review/agreement_dialog.h"
#include "ui/review/figures_table.h"
#include "ui/review/findings_column.h"
#include "ui/review/form_strip.h"
#include "ui/shell/elided_label.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/step.h"
#include <cmath>
#include <QAbstractButton>
#include <QComboBox>
#include <QDate>
#include <QFileDialog>
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <QSplitter>
#include <QStackedLayout>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

using Loaded = Result<std::shared_ptr<const OpenReview>>;

QToolButton* tool(const QString& label, const QString& tip, const char* name) {
    auto* b = new QToolButton;
    b->setText(label);
    b->setToolTip(tip);
    b->setAccessibleName(tip);
    b->setObjectName(QLatin1String(name));
    return b;
}

} // namespace

ReviewPage::ReviewPage(Session& session, QWidget* parent) : Place(session, "review", parent) {
    setFocusPolicy(Qt::StrongFocus);
    build();
    // A click leaves the keys where they were: buttons take the focus by Tab only.
    for (auto* b : findChildren<QToolButton*>()) b->setFocusPolicy(Qt::TabFocus);
    for (auto* b : findChildren<QPushButton*>()) b->setFocusPolicy(Qt::TabFocus);
    timer_.setInterval(16);
    connect(&timer_, &QTimer::timeout, this, [this] {
        if (!state_.open) return;
        // By the time that has passed: a picture that comes late makes the next one later, not the clip longer.
        clock_ += static_cast<double>(since_.nsecsElapsed()) * 1e-9 * speed_->currentData().toDouble();
        since_.start();
        clock_ = looped(clock_);
        if (clock_ >= state_.open->track.time_s.back()) {
            play(false);
            return;
        }
        state_.set_time(clock_);
    });
    connect(&state_, &ReviewState::frame_changed, this, &ReviewPage::frame_changed);
    connect(session_.workspace, &Workspace::measured_anew, this, [this](qint64 clip) {
        if (!state_.open || state_.open->clip.id != clip) return;
        // Marked while another place is looked at: once, after the last of several.
        isVisible() ? reload() : again_.start();
    });
    connect(session_.workspace, &Workspace::person_anew, this, [this](qint64 person) {
        if (state_.open && state_.open->clip.person == person) again_.start();
    });
    connect(session_.workspace, &Workspace::judged_anew, this, [this] {
        if (!state_.open) return;
        if (auto now = judged_by_bands(*state_.open, session_.forms(), state_.decisions)) {
            show_judged(std::move(now));
        } else {
            isVisible() ? reload() : again_.start();
        }
    });
    again_.setSingleShot(true);
    again_.setInterval(400);
    connect(&again_, &QTimer::timeout, this, [this] {
        if (state_.open) reload();
    });
    connect(&state_, &ReviewState::view_changed, this, [this] { figures_->fill(); });
    connect(&state_, &ReviewState::zoom_changed, this, [this] { // the reference as fine as it is seen
        if (source_ && state_.open) source_->wish(state_.frame, state_.reference_s[state_.frame], reference_->scale());
    });
}

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
    for (auto* b : {one_, axis_, over_, mirror_}) row->addWidget(b);
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
    connect(over_, &QToolButton::toggled, &state_, &ReviewState::set_laid_over);
    connect(one_, &QToolButton::toggled, &state_, &ReviewState::set_one_repetition);
    connect(play_, &QToolButton::toggled, this, &ReviewPage::play);
    connect(mirror_, &QToolButton::toggled, &state_, &ReviewState::set_mirrored);
    connect(axis_, &QToolButton::toggled, &state_, &ReviewState::set_by_movement);
    return bar;
}

void ReviewPage::build() {
    auto* transport = build_transport();
    auto* bar = build_bar(); // shows switches that the transport makes
    student_ = new PictureView(session_, state_, Shows::student);
    student_->setObjectName(QStringLiteral("studentPicture"));
    partner_ = new PictureView(session_, state_, Shows::partner);
    partner_->setObjectName(QStringLiteral("partnerPicture"));
    partner_->hide();
    reference_ = new PictureView(session_, state_, Shows::reference);
    column_ = new ColumnView(session_, state_);
    time_ = new TimeView(session_, state_);
    parts_ = new FormStrip(session_, state_);
    floor_ = new FloorView(session_, state_);
    figures_ = new FiguresTable(session_, state_);
    findings_ = new FindingsColumn(session_, state_);
    connect(findings_, &FindingsColumn::decided, this, &ReviewPage::decide);
    connect(findings_, &FindingsColumn::reworded, this, [this](const Finding& f, const QString& words) {
        Phrase p = phrase_of(*state_.open, f, words.toStdString());
        p.last_on = QDate::currentDate().toString(Qt::ISODate).toStdString();
        session_.background->run<Result<std::int64_t>>(
            this, [lib = session_.library, p](std::stop_token) { return lib->letters().keep_phrase(p); },
            [this](const Result<std::int64_t>& ok) {
                if (!ok) problem(ok.error());
            });
    });
    connect(findings_, &FindingsColumn::as_named, this, &ReviewPage::be_as_named);
    connect(findings_, &FindingsColumn::as_other, this, [this](const QString& id) { be_another(id.toStdString()); });
    connect(findings_, &FindingsColumn::agree, this, &ReviewPage::agree);
    connect(findings_, &FindingsColumn::show_me, this,
            [this](const Finding& f) { emit show_me(state_.open->review->movement.id, f.check, f.direction == Direction::high); });
    connect(findings_, &FindingsColumn::taken_out, this, [this](const Finding& f) {
        for (const auto& s : state_.open->seen)
            if (f.check == FindingKey::seen_check(s.id)) return keep_seen(tr("something seen, taken out"), s, false);
    });
    auto* pictures = new QHBoxLayout;
    pictures->setSpacing(8);
    pictures->addWidget(student_, 1);
    pictures->addWidget(partner_, 1);
    pictures->addWidget(reference_, 1);
    auto* centre = new QWidget;
    auto* middle = new QVBoxLayout(centre);
    middle->setContentsMargins(0, 0, 0, 0);
    middle->setSpacing(6);
    middle->addLayout(pictures, 11);
    middle->addWidget(transport);
    middle->addWidget(parts_);
    middle->addWidget(time_, 9);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    right->addWidget(findings_, 5);
    right->addWidget(figures_, 3);
    right->addWidget(floor_, 2);
    side_ = new QWidget;
    side_->setLayout(right);
    right->setContentsMargins(0, 0, 0, 0);
    side_->setMaximumWidth(session_.theme.wide(620));
    auto* body = new QHBoxLayout;
    body->setSpacing(10);
    split_ = new QSplitter;
    split_->setObjectName(QStringLiteral("reviewSplit"));
    split_->setChildrenCollapsible(false);
    split_->setHandleWidth(10);
    split_->addWidget(centre);
    split_->addWidget(side_);
    split_->setStretchFactor(0, 5);
    split_->setStretchFactor(1, 3);
    split_->restoreState(session_.settings.split[QStringLiteral("review")]);
    connect(split_, &QSplitter::splitterMoved, this, [this] { session_.settings.split[QStringLiteral("review")] = split_->saveState(); });
    body->addWidget(column_);
    body->addWidget(split_, 1);
    auto* content = new QWidget;
    auto* all = new QVBoxLayout(content);
    all->setContentsMargins(14, 10, 14, 12);
    notice_ = new Notice;
    all->addWidget(bar);
    all->addWidget(notice_);
    all->addLayout(body, 1);
    empty_ = new EmptyState(tr("No review is open"),
                            tr("Choose a clip in Arrivals and open its review: what was found stands here, from the ground up."),
                            tr("Go to Arrivals"));
    connect(empty_->button(), &QPushButton::clicked, this, [this] { session_.workspace->go(QStringLiteral("arrivals")); });
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
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

void ReviewPage::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    const bool narrow = width() < session_.theme.wide(1120);
    column_->setFixedWidth(session_.theme.wide(narrow ? 112 : 132));
    side_->setMinimumWidth(session_.theme.wide(narrow ? 318 : 372));
}

void ReviewPage::open(Ref ref) {
    setFocus();
    before_wanted_ = ref.beside;
    if (ref.clip != 0) open_clip(ref.clip);
}

void ReviewPage::open_clip(qint64 id) {
    title_->setText(tr("Opening …"));
    empty_->say(tr("Opening …"));
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(), id](std::stop_token) {
            return load_review(*lib, forms, id, tongue);
        },
        [this](Loaded open) {
            if (open) return show_review(std::move(*open));
            title_->setText(tr("Review"));
            where_->clear();
            empty_->say(text::error(open.error()));
            problem(open.error());
        });
}

void ReviewPage::show_review(std::shared_ptr<const OpenReview> open) {
    either_->setCurrentIndex(1);
    play_->setChecked(false);
    looped_.reset();
    loop_->setChecked(false);
    // What was done to another clip is not undone in this one; what was done to this one before it was measured anew is.
    if (!state_.open || state_.open->clip.id != open->clip.id) undo().clear();
    tapped_.clear();
    if (!state_.open || state_.open->clip.id != open->clip.id) seen_at_.clear(), findings_->begin_anew();
    deciding_ = false;
    state_.open = open;
    session_.workspace->set_clip(open->clip.id);
    state_.reference_s = reference_times(*open->review);
    state_.units = session_.settings.units(open->review->motion, open->person);
    state_.decisions = open->decisions;
    const auto& r = *open->review;
    title_->setText(tr("%1 · %2").arg(QString::fromStdString(open->person.name), text::movement(r.movement)));
    state_.beside.reset();
    where_->setText(tr("%1, %2").arg(text::view(r.motion.view), open->whole ? text::parts_seen(*open->whole) : text::repetitions(r)));
    if (open->partner)
        where_->setText(
            tr("%1 and %2, %3").arg(text::view(r.motion.view), text::view(open->partner->review->motion.view), text::repetitions(r)));
    where_->setToolTip(open->partner ? tr("X puts the other clip first") : QString());
    notice_->say({});
    if (open->clip.film_dropped)
        notice_->say(tr("The film was deleted when its time had come. Points and findings are here all the same."));
    else if (!open->has_file)
        notice_->problem(tr("The clip's file is not where it was. Points and findings are here all the same."), tr("Point to it …"),
                         [this] { point_to_file(); });
    if (!r.motion.mirrored_hint.empty())
        where_->setText(where_->text() + tr(" · the body shows its other side than was declared: is the picture mirrored?"));
    set_beside(open->partner);
    state_.frame = 0;
    state_.picture_frame.reset();
    state_.reference_body.reset();
    state_.set_zoom(1, {0.5, 0.5});
    // The first thing seen is what matters most.
    state_.family = r.findings.empty() ? Family::feet : r.findings.front().family;
    parts_->show_review();
    time_->rebuild();
    findings_->fill();
    state_.point_at(findings_->current());
    if (r.findings.empty())
        state_.set_time(0);
    else
        state_.go_to(findings_->current() ? *findings_->current() : r.findings.front());
    if (const auto t = std::exchange(change_over_to_, std::nullopt)) state_.set_time(*t);
    frame_changed();
    emit opened();
    // Its figures are kept, so that they can be followed from clip to clip.
    if (!session_.library->read_only() && open->clip.person != 0)
        session_.background->run<Result<bool>>(
            this,
            [lib = session_.library, open](std::stop_token) {
                return lib->records().keep_figures(open->clip.id, open->whole ? figures_of(*open->whole) : figures_of(*open->review));
            },
            [](const Result<bool>&) {});
    renew_neutral();
    let_compete();
    if (before_wanted_ != 0) return show_before();
    if (model_wanted_) show_model();
}

/// The clip whose frames stand beside the student's; none: the drawn figure alone.
void ReviewPage::set_beside(std::shared_ptr<const OpenReview> beside, bool hidden) {
    state_.beside = std::move(beside);
    state_.beside_hidden = hidden && state_.beside;
    partner_->setVisible(state_.beside != nullptr);
    // Practice of no known movement has no figure to be held against.
    reference_->setVisible(!state_.shows_model() && state_.open->review->movement.id != free_id);
    source_ = std::make_unique<FrameSource>(state_.open, state_.beside, state_.beside_hidden);
    connect(source_.get(), &FrameSource::ready, this, [this](const std::shared_ptr<FramePicture>& p) {
        if (p->of != state_.open) return; // of a review that was left
        if (p->reference) {
            state_.reference_body = {p->frame, p->points};
            student_->update();
            return reference_->show_picture(p);
        }
        if (p->partner) return partner_->show_picture(p);
        state_.picture_frame = p->frame;
        student_->show_picture(p);
        floor_->update();
        figures_->fill();
        settle_decision();
    });
}

/// Nothing is decided by a key whose moment is not on the screen: it is shown first.
void ReviewPage::decide_shown(std::optional<Choice> choice) {
    if (!findings_->current()) return;
    to_decide_ = choice;
    deciding_ = true;
    findings_->step(0);
    settle_decision();
}

void ReviewPage::settle_decision() {
    if (!deciding_ || !state_.open) return;
    if (state_.open->has_file && state_.picture_frame != state_.frame) return;
    deciding_ = false;
    if (const Finding* f = findings_->current()) seen_at_.push_back({FindingKey::of(*f), state_.time()});
    to_decide_ ? findings_->decide_current(*to_decide_) : findings_->reword_current();
}

void ReviewPage::frame_changed() {
    if (!state_.open) return;
    if (source_) source_->wish(state_.frame, state_.reference_s[state_.frame], reference_->scale(), state_.partner_frame());
    if (!state_.picture_frame) figures_->fill(); // else with the picture
}

bool ReviewPage::shows_current() const {
    return student_->is_current() && (state_.shows_model() || reference_->is_current()) && (!state_.beside || partner_->is_current());
}

/// The other clip of the pair in the first place, at the same moment.
void ReviewPage::change_over() {
    if (!state_.open || !state_.open->partner) return;
    const auto frame = state_.partner_frame();
    change_over_to_.reset();
    if (frame) change_over_to_ = state_.open->partner->track.time_s[*frame];
    open_clip(state_.open->partner->clip.id);
}

void ReviewPage::decide(const Finding& f, Choice choice, const QString& wording) {
    // A remark is decided as one, on whichever side and in whichever part it shows.
    std::vector<Decision> before, after;
    for (const Finding* one : remark_of(f, state_.open->review->findings)) {
        before.push_back(state_.decision_of(*one));
        after.push_back(before.back());
        after.back().choice = choice;
        after.back().wording = wording.toStdString();
    }
    undo().push(new Step<std::vector<Decision>>(
        tr("a decision"),
        [this](const std::vector<Decision>& all) {
            for (const auto& d : all) apply(d);
        },
        before, after));
}

void ReviewPage::apply(const Decision& d) {
    state_.set_decision(d);
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, clip = state_.open->clip.id, d](std::stop_token) { return lib->decisions().decide(clip, d); },
        [this, clip = state_.open->clip.id](const Result<bool>& ok) {
            if (ok) {
                emit decided();
                session_.workspace->touched(clip);
            } else {
                problem(ok.error());
            }
        });
}

void ReviewPage::problem(const Error& e) {
    notice_->problem(text::error(e));
}

void ReviewPage::agree(const QString& check) {
    if (!state_.open) return;
    auto* dialog = new AgreementDialog(session_, *state_.open, check.toStdString(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    auto kept = [this](const Result<bool>& ok) {
        if (ok)
            reload();
        else
            problem(ok.error());
    };
    connect(dialog, &AgreementDialog::agreed, this, [this, kept](const Agreement& a) {
        session_.background->run<Result<bool>>(
            this,
            [lib = session_.library, a](std::stop_token) {
                return lib->decisions().save_agreement(a).map([](std::int64_t) { return true; });
            },
            kept);
    });
    connect(dialog, &AgreementDialog::ended, this, [this, kept](std::int64_t id) {
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id](std::stop_token) { return lib->decisions().remove_agreement(id); }, kept);
    });
    dialog->open();
}

/// The same clip judged by what is agreed now; the cursor stays.
void ReviewPage::reload(const QString& then_say) {
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(),
         id = state_.open->clip.id](std::stop_token) { return load_review(*lib, forms, id, tongue); },
        [this, then_say](Loaded open) {
            if (!open) return problem(open.error());
            if (!state_.open || state_.open->clip.id != (*open)->clip.id) return; // another clip was opened meanwhile
            show_again(std::move(*open));
            if (!then_say.isEmpty()) notice_->say(then_say);
        });
}

/// The open clip by other bands: pictures, cursor and everything measured stay as they are.
void ReviewPage::show_judged(std::shared_ptr<const OpenReview> open) {
    for (auto* view : {student_, partner_, reference_})
        if (view->is_of(state_.open)) view->now_of(open);
    state_.open = std::move(open);
    source_->now_of(state_.open);
    state_.decisions = state_.open->decisions;
    time_->rebuild();
    figures_->fill();
    findings_->fill();
    column_->update();
    emit opened();
}

/// The open clip as it is judged now; cursor and part stay.
void ReviewPage::show_again(std::shared_ptr<const OpenReview> open) {
    const double at = state_.time();
    const Family family = state_.family;
    show_review(std::move(open));
    state_.set_family(family);
    state_.set_time(at);
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
    using M = Actions::Menu;
    auto frame = [this](std::ptrdiff_t by) { state_.set_frame(static_cast<std::ptrdiff_t>(state_.frame) + by); };
    actions.add(this, M::view, "mirrorAction", tr("Mirror both pictures"), {QKeySequence(Qt::Key_M)}, [this] { mirror_->toggle(); });
    actions.add(this, M::view, "layOverAction", tr("Lay the reference over the student"), {QKeySequence(Qt::Key_G)},
                [this] { over_->toggle(); });
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
    actions.separate();
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
    actions.separate();
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
    actions.separate();
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
    actions.separate();
    actions.add(
        this, M::clip, "pointToFile", tr("Point to the clip's file …"), {}, [this] { point_to_file(); },
        tr("For a clip whose file was moved or lost"));
}

void ReviewPage::new_theme() {
    findings_->fill();
    figures_->fill();
    update();
}

/// A clip whose file is not where it was gets it back.
void ReviewPage::point_to_file() {
    if (!state_.open) return;
    const QString file = QFileDialog::getOpenFileName(this, tr("Where is this clip?"));
    if (!file.isEmpty()) give_file(file);
}

void ReviewPage::give_file(const QString& file) {
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id = state_.open->clip.id, path = file.toStdString()](std::stop_token) {
            return lib->clips().replace_file(id, path);
        },
        [this](const Result<bool>& ok) {
            if (ok)
                reload();
            else
                notice_->problem(text::error(ok.error()), tr("Choose another file …"), [this] { point_to_file(); });
        });
}

bool ReviewPage::event(QEvent* e) {
    // Space presses a button that was reached by Tab; everywhere else it plays.
    if (e->type() == QEvent::ShortcutOverride && static_cast<QKeyEvent*>(e)->key() == Qt::Key_Space &&
        (qobject_cast<QAbstractButton*>(focusWidget()) || qobject_cast<QComboBox*>(focusWidget()))) {
        e->accept();
        return true;
    }
    return QWidget::event(e);
}

} // namespace bevel::ui
