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
#include <QPushButton>
#include <QSplitter>
#include <QStackedLayout>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

using Loaded = Result<std::shared_ptr<const OpenReview>>;

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

void ReviewPage::build() {
    auto* transport = build_transport();
    auto* bar = build_bar(); // shows switches that the transport makes
    student_ = new PictureView(session_, state_, Shows::student);
    student_->setObjectName(QStringLiteral("studentPicture"));
    partner_ = new PictureView(session_, state_, Shows::partner);
    partner_->setObjectName(QStringLiteral("partnerPicture"));
    partner_->hide();
    reference_ = new PictureView(session_, state_, Shows::reference);
    room_ = new RoomView(session_, state_);
    room_->hide();
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
    pictures->addWidget(room_, 1);
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
    wanted_ = id;
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
    const auto from_where = open->from_fit.told ? tr("%1, one body fitted; %2") : tr("%1, %2");
    where_->setText(from_where.arg(text::view(r.motion.view), open->whole ? text::parts_seen(*open->whole) : text::repetitions(r)));
    if (open->partner) {
        const auto both = open->at_once.together ? tr("at once in the room, %1 and %2; %3") : tr("%1 and %2, %3");
        where_->setText(both.arg(text::view(open->at_once.view), text::view(open->partner->review->motion.view), text::repetitions(r)));
    }
    where_->setToolTip(open->partner ? text::at_once(open->at_once) : text::from_fit(open->from_fit));
    notice_->say({});
    if (open->clip.film_dropped)
        notice_->say(tr("The film was deleted when its time had come. Points and findings are here all the same."));
    else if (!open->has_file)
        notice_->problem(tr("The clip's file is not where it was. Points and findings are here all the same."), tr("Point to it …"),
                         [this] { point_to_file(); });
    else if (r.motion.not_as_declared) // beside the title it would be cut
        notice_->say(
            tr("Judged as the body shows itself, %1: from the side that was said, the movement is not found as well. “Change …” in "
               "Arrivals puts the side right.")
                .arg(text::view(r.motion.view)));
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
    put_at_once();
    if (before_wanted_ != 0) return show_before();
    if (model_wanted_) show_model();
}

/// The clip whose frames stand beside the student's; none: the drawn figure alone.
void ReviewPage::set_beside(std::shared_ptr<const OpenReview> beside, bool hidden) {
    state_.beside = std::move(beside);
    state_.beside_hidden = hidden && state_.beside;
    partner_->setVisible(state_.beside != nullptr);
    show_third();
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

/// Beside the films: the reference, or the body in the room where more than one camera tells it.
void ReviewPage::show_third() {
    if (!state_.open) return;
    const Review& r = *state_.open->review;
    const bool known = !r.motion.from_pictures();
    in_room_->setVisible(known);
    const bool room = known && in_room_->isChecked();
    room_->setVisible(room);
    // Practice of no known movement has no figure to be held against.
    reference_->setVisible(!room && !state_.shows_model() && r.movement.id != free_id);
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
    return student_->is_current() && (state_.shows_model() || !reference_->isVisibleTo(this) || reference_->is_current()) &&
           (!state_.beside || partner_->is_current());
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
