#include "ui/review/review_page.h"
#include "ui/shell/elided_label.h"
#include <cmath>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QInputDialog>
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QTableWidget>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

/// The mark of a verdict as a small widget.
class Mark : public QWidget {
public:
    Mark(const Session& s, Verdict v, double size, int towards) : session_(s), verdict_(v), size_(size), towards_(towards) {
        setFixedSize(22, 22);
        setAccessibleName(text::verdict(v));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        draw_mark(p, QRectF(rect()).adjusted(1, 1, -1, -1), verdict_, session_.theme, size_, towards_);
    }

private:
    const Session& session_;
    Verdict verdict_;
    double size_;
    int towards_;
};

QToolButton* tool(const QString& label, const QString& tip, const char* name) {
    auto* b = new QToolButton;
    b->setText(label);
    b->setToolTip(tip);
    b->setAccessibleName(tip);
    b->setObjectName(QLatin1String(name));
    return b;
}

std::string side_key(const Finding& f) {
    return !f.side ? "" : *f.side == Side::left ? "left" : "right";
}

} // namespace

ReviewPage::ReviewPage(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setFocusPolicy(Qt::StrongFocus);
    build();
    timer_.setInterval(16);
    connect(&timer_, &QTimer::timeout, this, [this] {
        if (!state_.open) return;
        clock_ += 0.016 * speed_->currentData().toDouble();
        if (clock_ >= state_.open->track.time_s.back()) {
            play(false);
            return;
        }
        state_.set_time(clock_);
    });
    connect(&state_, &ReviewState::frame_changed, this, &ReviewPage::frame_changed);
    connect(&state_, &ReviewState::view_changed, this, [this] {
        fill_findings();
        fill_figures();
    });
}

QWidget* ReviewPage::build_bar() {
    auto* bar = new QWidget;
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(0, 0, 0, 0);
    title_ = new QLabel(tr("Review"));
    title_->setObjectName(QStringLiteral("title"));
    where_ = new ElidedLabel;
    where_->setObjectName(QStringLiteral("faint"));
    auto* letter = new QPushButton(tr("Write the letter"));
    letter->setObjectName(QStringLiteral("primary"));
    row->addWidget(title_);
    row->addSpacing(10);
    row->addWidget(where_, 1);
    for (auto* b : {one_, axis_, mirror_}) row->addWidget(b);
    row->addSpacing(10);
    row->addWidget(letter);
    connect(letter, &QPushButton::clicked, this, &ReviewPage::write_letter);
    return bar;
}

QWidget* ReviewPage::build_transport() {
    auto* bar = new QWidget;
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(0, 0, 0, 0);
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
        auto* b = tool(s.label, s.tip, s.name);
        connect(b, &QToolButton::clicked, this, s.go);
        row->addWidget(b);
        steps_.push_back({b, s.label, s.narrow});
    }
    row->addStretch(1);
    connect(one_, &QToolButton::toggled, &state_, &ReviewState::set_one_repetition);
    connect(play_, &QToolButton::toggled, this, &ReviewPage::play);
    connect(mirror_, &QToolButton::toggled, &state_, &ReviewState::set_mirrored);
    connect(axis_, &QToolButton::toggled, &state_, &ReviewState::set_by_movement);
    return bar;
}

void ReviewPage::build() {
    auto* transport = build_transport();
    auto* bar = build_bar(); // shows switches that the transport makes
    student_ = new PictureView(session_, state_, false);
    reference_ = new PictureView(session_, state_, true);
    column_ = new ColumnView(session_, state_);
    time_ = new TimeView(session_, state_);
    floor_ = new FloorView(session_, state_);
    figures_ = new QTableWidget(0, 5);
    figures_->setObjectName(QStringLiteral("figures"));
    figures_->setAccessibleName(tr("Figures at this frame"));
    figures_->setHorizontalHeaderLabels({tr("At this frame"), tr("Student"), tr("Ref."), tr("Off"), tr("Band")});
    figures_->verticalHeader()->hide();
    figures_->verticalHeader()->setDefaultSectionSize(24);
    figures_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    figures_->setSelectionMode(QAbstractItemView::NoSelection);
    figures_->setFocusPolicy(Qt::NoFocus);
    figures_->setShowGrid(false);
    figures_->horizontalHeader()->setMinimumSectionSize(34);
    figures_->horizontalHeader()->setDefaultAlignment(Qt::AlignRight | Qt::AlignVCenter);
    figures_->setWordWrap(false);
    figures_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    figures_->horizontalHeaderItem(0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    figures_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (int c = 1; c < 5; ++c) figures_->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    findings_ = new QScrollArea;
    findings_->setObjectName(QStringLiteral("findings"));
    findings_->setAccessibleName(tr("Findings"));
    findings_->setWidgetResizable(true);
    findings_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scope_ = new QComboBox;
    scope_->setObjectName(QStringLiteral("scope"));
    scope_->setAccessibleName(tr("Which findings"));
    scope_->addItems({tr("What matters, from the ground up"), tr("Everything about the chosen part")});
    connect(scope_, &QComboBox::currentIndexChanged, this, &ReviewPage::fill_findings);
    auto* pictures = new QHBoxLayout;
    pictures->setSpacing(8);
    pictures->addWidget(student_, 1);
    pictures->addWidget(reference_, 1);
    auto* middle = new QVBoxLayout;
    middle->setSpacing(6);
    middle->addLayout(pictures, 11);
    middle->addWidget(transport);
    middle->addWidget(time_, 9);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    right->addWidget(scope_);
    right->addWidget(findings_, 5);
    right->addWidget(figures_, 3);
    right->addWidget(floor_, 2);
    side_ = new QWidget;
    side_->setLayout(right);
    right->setContentsMargins(0, 0, 0, 0);
    side_->setMaximumWidth(460);
    auto* body = new QHBoxLayout;
    body->setSpacing(10);
    body->addWidget(column_);
    body->addLayout(middle, 5);
    body->addWidget(side_, 3);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 10, 14, 12);
    all->addWidget(bar);
    all->addLayout(body, 1);
}

void ReviewPage::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    const bool narrow = width() < 1120;
    for (const auto& [button, label, brief] : steps_) button->setText(narrow ? brief : label);
    column_->setFixedWidth(narrow ? 112 : 132);
    side_->setMinimumWidth(narrow ? 318 : 372);
}

void ReviewPage::open_clip(qint64 id) {
    title_->setText(tr("Opening …"));
    session_.background->post(this, [this, lib = session_.library, id](std::stop_token) -> Background::After {
        auto open = load_review(*lib, session_, id);
        if (!open)
            return [this, e = open.error()] {
                title_->setText(tr("Review"));
                where_->setText(text::error(e));
            };
        return [this, open = *open] { show_review(open); };
    });
}

void ReviewPage::show_review(std::shared_ptr<const OpenReview> open) {
    play_->setChecked(false);
    undo_.clear(); // what was done to another clip is not undone in this one
    state_.open = open;
    state_.reference_s = reference_times(*open->review);
    decisions_ = open->decisions;
    const auto& r = *open->review;
    title_->setText(tr("%1 · %2").arg(QString::fromStdString(open->person.name), QString::fromStdString(r.movement.name)));
    int lefts = 0;
    for (const auto& rep : r.alignment.repetitions) lefts += rep.side == Side::left ? 1 : 0;
    const auto total = static_cast<int>(r.alignment.repetitions.size());
    where_->setText(tr("%1, %2 repetitions (%3 left, %4 right)").arg(text::view(r.motion.view)).arg(total).arg(lefts).arg(total - lefts));
    if (!r.motion.mirrored_hint.empty())
        where_->setText(where_->text() + tr(" · the body shows its other side than was declared: is the picture mirrored?"));
    source_ = std::make_unique<FrameSource>(open);
    connect(source_.get(), &FrameSource::ready, this, [this](const std::shared_ptr<FramePictures>& p) {
        if (p->of != state_.open) return; // of a review that was left
        state_.picture_frame = p->frame;
        student_->show_pictures(p);
        reference_->show_pictures(p);
        floor_->update();
        fill_figures();
    });
    state_.frame = 0;
    state_.picture_frame.reset();
    // The first thing seen is what matters most.
    state_.family = r.findings.empty() ? Family::feet : r.findings.front().family;
    time_->rebuild();
    fill_findings();
    state_.set_time(r.findings.empty() ? 0 : r.findings.front().time_s);
    frame_changed();
    emit opened();
}

void ReviewPage::frame_changed() {
    if (!state_.open) return;
    if (source_) source_->wish(state_.frame, state_.reference_s[state_.frame]);
    if (!state_.picture_frame) fill_figures(); // else with the picture
}

bool ReviewPage::shows_current() const {
    return student_->is_current() && reference_->is_current();
}

Decision ReviewPage::decision_of(const Finding& f) const {
    for (const auto& d : decisions_)
        if ((d.check == f.key() || d.check == f.check) && d.side == side_key(f)) return {f.key(), d.side, d.choice, d.wording, d.note};
    return {f.key(), side_key(f), Choice::open, "", ""};
}

namespace {
/// One decision about a finding, to be done and undone.
class DecisionStep : public QUndoCommand {
public:
    DecisionStep(std::function<void(const Decision&)> apply, Decision before, Decision after)
        : apply_(std::move(apply)), before_(std::move(before)), after_(std::move(after)) {}
    void redo() override { apply_(after_); }
    void undo() override { apply_(before_); }

private:
    std::function<void(const Decision&)> apply_;
    Decision before_, after_;
};
} // namespace

void ReviewPage::decide(const Finding& f, Choice choice, const QString& wording) {
    const Decision before = decision_of(f);
    Decision after = before;
    after.choice = choice;
    after.wording = wording.toStdString();
    undo_.push(new DecisionStep([this](const Decision& d) { apply(d); }, before, after));
}

void ReviewPage::apply(const Decision& d) {
    std::erase_if(decisions_, [&](const Decision& x) { return x.check == d.check && x.side == d.side; });
    decisions_.push_back(d);
    Clip clip = state_.open->clip;
    clip.state = ClipState::reviewed;
    session_.background->post(this, [this, lib = session_.library, clip, d](std::stop_token) -> Background::After {
        auto ok = lib->save_decision(clip.id, d);
        if (ok) ok = lib->update_clip(clip);
        if (!ok) return [this, e = ok.error()] { where_->setText(text::error(e)); };
        return [this] { emit decided(); };
    });
    fill_findings();
}

QWidget* ReviewPage::finding_card(const Finding& f) {
    const Theme& theme = session_.theme;
    auto* card = new QFrame;
    card->setObjectName(QStringLiteral("card"));
    auto* grid = new QGridLayout(card);
    grid->setContentsMargins(8, 7, 8, 7);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(3);
    grid->addWidget(new Mark(session_, f.verdict, std::abs(f.excess()) / f.scale(), f.excess() < 0 ? 1 : -1), 0, 0, Qt::AlignTop);
    auto* head = new QPushButton(text::headline(f, session_.catalogue));
    if (f.reference) head->setText(head->text().replace(QStringLiteral(": "), QStringLiteral(":\n"))); // a long line in two
    head->setObjectName(QStringLiteral("goto"));
    head->setAccessibleName(tr("Go to %1").arg(head->text()));
    const auto* info = session_.catalogue.find(QString::fromStdString(f.measure));
    head->setToolTip(
        info ? tr("%1 (%2). Rule %3. Click to go to the moment.").arg(info->definition, info->unit, QString::fromStdString(f.rule))
             : QString::fromStdString(f.rule));
    head->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(head, &QPushButton::clicked, this, [this, t = f.time_s, fam = f.family] {
        state_.set_family(fam);
        state_.set_time(t);
    });
    grid->addWidget(head, 0, 1);
    QStringList facts;
    if (f.verdict == Verdict::cannot_tell) {
        facts << text::absent(f.absent);
        if (!f.film.empty()) facts << QString::fromStdString(f.film);
    } else {
        const QString unit = QString::fromStdString(f.unit);
        facts << tr("%1, band %2").arg(text::with_sigma(f.value, f.sigma, unit), text::aim(f)) << text::repetitions(f);
        if (f.once) facts << tr("for certain, but seldom: a note, not a correction");
        if (f.allowed) facts << tr("outside the usual band, inside the one agreed with this student");
        if (!f.reason.empty()) facts << QString::fromStdString(f.reason);
        if (f.widened) facts << tr("band widened to what this clip can tell");
        if (f.verdict == Verdict::outside) facts << text::severity(f.severity);
    }
    head->setMinimumWidth(60);
    auto* why = new QToolButton;
    why->setText(tr("Why"));
    why->setObjectName(QStringLiteral("why"));
    why->setAccessibleName(tr("Why: %1").arg(head->text()));
    why->setStyleSheet(QStringLiteral("QToolButton { border: 1px solid %1; padding: 1px 8px; } QToolButton:focus { border: 2px solid %2; }")
                           .arg(theme.palette.line.name(), theme.palette.focus.name()));
    why->setToolTip(tr("What this rests on: moments, band and whose it is, parts of the error, what it may cause"));
    connect(why, &QToolButton::clicked, this, [this, f] { show_why(f); });
    if (!f.cause_of.empty()) facts << tr("may be the cause of a remark higher up");
    auto* fact = new QLabel(facts.join(QStringLiteral(" · ")));
    fact->setObjectName(QStringLiteral("faint"));
    fact->setWordWrap(true);
    grid->addWidget(fact, 1, 1);
    const Decision d = decision_of(f);
    if (f.verdict == Verdict::outside || f.verdict == Verdict::edge) {
        const QString cue = d.wording.empty() ? QString::fromStdString(f.cue) : QString::fromStdString(d.wording);
        auto* say = new QLabel(cue);
        say->setWordWrap(true);
        grid->addWidget(say, 2, 1);
        auto* row = new QHBoxLayout;
        row->setSpacing(4);
        auto button = [&](const QString& label, const char* name, bool on) {
            auto* b = new QToolButton;
            b->setText(label);
            b->setObjectName(QLatin1String(name));
            b->setCheckable(true);
            b->setChecked(on);
            b->setAccessibleName(tr("%1: %2").arg(label, head->text()));
            b->setStyleSheet(
                QStringLiteral("QToolButton { border: 1px solid %1; padding: 1px 8px; } QToolButton:checked { background: %2; color: %3; } "
                               "QToolButton:focus { border: 2px solid %4; }")
                    .arg(theme.palette.line.name(), theme.palette.accent.name(), theme.palette.sheet.name(), theme.palette.focus.name()));
            row->addWidget(b);
            return b;
        };
        connect(button(tr("Keep"), "keep", d.choice == Choice::kept), &QToolButton::clicked, this,
                [this, f, d](bool on) { decide(f, on ? Choice::kept : Choice::open, QString::fromStdString(d.wording)); });
        connect(button(tr("Set aside"), "setAside", d.choice == Choice::set_aside), &QToolButton::clicked, this,
                [this, f, d](bool on) { decide(f, on ? Choice::set_aside : Choice::open, QString::fromStdString(d.wording)); });
        connect(button(tr("Reword"), "reword", !d.wording.empty()), &QToolButton::clicked, this, [this, f, d, cue] {
            bool ok = false;
            const QString words =
                QInputDialog::getMultiLineText(this, tr("In your own words"), tr("What should the student do?"), cue, &ok);
            if (ok)
                decide(f, d.choice, words.trimmed() == QString::fromStdString(f.cue) ? QString() : words.trimmed());
            else
                fill_findings();
        });
        row->addWidget(why);
        row->addStretch(1);
        grid->addLayout(row, 3, 1);
    } else {
        grid->addWidget(why, 2, 1, Qt::AlignLeft);
    }
    grid->setColumnStretch(1, 1);
    return card;
}

void ReviewPage::show_why(const Finding& f) {
    if (!state_.open) return;
    auto* dialog = new QDialog(this);
    dialog->setObjectName(QStringLiteral("whyDialog"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(tr("Why: %1").arg(text::headline(f, session_.catalogue)));
    auto* box = new QVBoxLayout(dialog);
    auto* words = new QLabel(text::why(f, *state_.open->review, session_.catalogue).join(QStringLiteral("\n\n")));
    words->setObjectName(QStringLiteral("whyText"));
    words->setWordWrap(true);
    words->setTextInteractionFlags(Qt::TextSelectableByMouse | Qt::TextSelectableByKeyboard);
    words->setMinimumWidth(460);
    box->addWidget(words);
    auto* close = new QDialogButtonBox(QDialogButtonBox::Close);
    connect(close, &QDialogButtonBox::rejected, dialog, &QDialog::close);
    box->addWidget(close);
    dialog->open();
}

void ReviewPage::fill_findings() {
    auto* inner = new QWidget;
    auto* box = new QVBoxLayout(inner);
    box->setContentsMargins(6, 6, 6, 6);
    box->setSpacing(6);
    int shown = 0;
    bool notes = false;
    if (state_.open)
        for (const bool fault : {true, false}) // corrections first, notes apart
            for (const auto& f : state_.open->review->findings) {
                if ((f.verdict == Verdict::outside) != fault) continue;
                const bool matters = fault || f.verdict == Verdict::edge || f.allowed;
                if (scope_->currentIndex() == 0 ? !matters : f.family != state_.family) continue;
                if (!fault && !notes && scope_->currentIndex() == 0) {
                    auto* heading = new QLabel(tr("Notes: at the edge, seldom, or agreed"));
                    heading->setObjectName(QStringLiteral("heading"));
                    box->addWidget(heading);
                    notes = true;
                }
                box->addWidget(finding_card(f));
                ++shown;
            }
    if (shown == 0) {
        auto* none =
            new QLabel(!state_.open ? tr("Open a clip from Arrivals to see its findings.")
                       : scope_->currentIndex() == 0
                           ? tr("Nothing outside its band in this clip. Choose a part on the left to see what was held against which band.")
                           : tr("The movement has no check for this part."));
        none->setWordWrap(true);
        none->setObjectName(QStringLiteral("faint"));
        box->addWidget(none);
    }
    box->addStretch(1);
    const int at = findings_->verticalScrollBar() ? findings_->verticalScrollBar()->value() : 0;
    findings_->setWidget(inner);
    findings_->verticalScrollBar()->setValue(at);
}

void ReviewPage::fill_figures() {
    if (!state_.open) return;
    const Review& r = *state_.open->review;
    if (state_.family == Family::tempo) {
        fill_tempo();
        return;
    }
    const auto keys = lane_keys(session_, r, state_.family);
    figures_->setRowCount(static_cast<int>(keys.size()));
    const double ref = state_.reference_s[state_.shown()];
    for (std::size_t i = 0; i < keys.size(); ++i) {
        const auto& s = r.measures.series.at(keys[i]);
        const Sample& v = s.samples[state_.shown()];
        const QString unit = QString::fromStdString(s.unit);
        QString name = session_.catalogue.name(QString::fromStdString(s.id));
        if (s.side) name = tr("%1, %2").arg(name, text::side(*s.side));
        QString reference = QStringLiteral("–"), band = QStringLiteral("–"), off = QStringLiteral("–");
        const auto* other = r.reference->measures().find(s.id, s.side);
        const auto k = static_cast<std::size_t>(std::isfinite(ref) ? std::max(0.0, ref * r.reference->rate()) : 0);
        if (other && std::isfinite(ref) && k < other->samples.size() && other->samples[k].present()) {
            reference = text::bare(other->samples[k].value, unit);
            if (v.present()) off = text::difference(v.value - other->samples[k].value, unit);
        }
        const auto* rep = state_.repetition_of(state_.shown());
        for (const auto& c : r.movement.checks) {
            const auto applies = rep ? band_of(c, *rep, s) : std::nullopt;
            if (!applies) continue;
            bool now = c.phases.empty();
            for (const auto& p : rep->phases)
                if (state_.shown_time() >= p.start_s && state_.shown_time() < p.end_s &&
                    std::find(c.phases.begin(), c.phases.end(), p.id) != c.phases.end())
                    now = true;
            if (!now) continue;
            auto low = applies->low, high = applies->high;
            if (applies->relative) {
                if (!other || !std::isfinite(ref) || k >= other->samples.size() || !other->samples[k].present()) continue;
                if (low) *low += other->samples[k].value;
                if (high) *high += other->samples[k].value;
            }
            band = text::bare_band(low, high, unit);
        }
        const std::array<QString, 5> cells{name, v.present() ? text::with_sigma(v.value, v.sigma, unit) : QStringLiteral("–"), reference,
                                           off, band};
        for (int c = 0; c < 5; ++c) {
            auto* item = figures_->item(static_cast<int>(i), c);
            if (!item) figures_->setItem(static_cast<int>(i), c, item = new QTableWidgetItem);
            item->setText(cells[static_cast<std::size_t>(c)]);
            if (c > 0) item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            const auto* info = session_.catalogue.find(QString::fromStdString(s.id));
            item->setToolTip(v.present() ? (info ? tr("%1: %2").arg(name, info->definition) : name)
                                         : tr("%1: %2").arg(name, text::absent(v.absent)));
            item->setForeground(!v.present() ? session_.theme.palette.faint
                                : s.side     ? session_.theme.side(*s.side)
                                             : session_.theme.palette.ink);
        }
    }
}

void ReviewPage::fill_tempo() {
    const Review& r = *state_.open->review;
    const auto* rep = state_.repetition_of(state_.shown());
    figures_->setRowCount(rep ? static_cast<int>(rep->phases.size()) + 1 : 0);
    if (!rep) return;
    const QString unit = QStringLiteral("s");
    double whole = 0;
    for (const auto& p : r.movement.phases) whole += p.duration_s;
    auto row = [&](int at, const QString& name, double student, double reference, bool now) {
        const std::array<QString, 5> cells{name, text::figure(student, unit), text::bare(reference, unit),
                                           text::difference(student - reference, unit), QStringLiteral("–")};
        for (int c = 0; c < 5; ++c) {
            auto* item = new QTableWidgetItem(cells[static_cast<std::size_t>(c)]);
            if (c > 0) item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            item->setForeground(now ? session_.theme.palette.accent : session_.theme.palette.ink);
            item->setToolTip(tr("%1: how long it took, against the reference").arg(name));
            figures_->setItem(at, c, item);
        }
    };
    row(0, tr("Repetition, %1").arg(text::side(rep->side)), rep->end_s - rep->start_s, whole, false);
    for (std::size_t i = 0; i < rep->phases.size(); ++i) {
        const auto& p = rep->phases[i];
        row(static_cast<int>(i) + 1, QString::fromStdString(r.movement.phases[i].name), p.end_s - p.start_s,
            r.movement.phases[i].duration_s, state_.shown_time() >= p.start_s && state_.shown_time() < p.end_s);
    }
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
    if (on)
        timer_.start();
    else
        timer_.stop();
}

void ReviewPage::keyPressEvent(QKeyEvent* e) {
    const bool ctrl = (e->modifiers() & Qt::ControlModifier) != 0;
    const auto frame = static_cast<std::ptrdiff_t>(state_.frame);
    switch (e->key()) {
    case Qt::Key_Left:
        ctrl ? step_phase(-1) : state_.set_frame(frame - 1);
        return;
    case Qt::Key_Right:
        ctrl ? step_phase(1) : state_.set_frame(frame + 1);
        return;
    case Qt::Key_PageUp:
        step_repetition(-1);
        return;
    case Qt::Key_PageDown:
        step_repetition(1);
        return;
    case Qt::Key_Home:
        state_.set_frame(0);
        return;
    case Qt::Key_End:
        state_.set_frame(static_cast<std::ptrdiff_t>(state_.frames()));
        return;
    case Qt::Key_Space:
        play_->toggle();
        return;
    case Qt::Key_M:
        mirror_->toggle();
        return;
    case Qt::Key_T:
        axis_->toggle();
        return;
    case Qt::Key_Z:
        if (ctrl)
            (e->modifiers() & Qt::ShiftModifier) != 0 ? undo_.redo() : undo_.undo();
        else
            one_->toggle();
        return;
    default:
        break;
    }
    if (e->key() >= Qt::Key_1 && e->key() <= Qt::Key_8) {
        state_.set_family(static_cast<Family>(e->key() - Qt::Key_1));
        return;
    }
    QWidget::keyPressEvent(e);
}

} // namespace bevel::ui
