#include "ui/review/findings_column.h"
#include "core/review/free.h"
#include "ui/paint/letter_document.h"
#include "ui/review/reword_dialog.h"
#include "ui/review/which_box.h"
#include <cmath>
#include <QComboBox>
#include <QDate>
#include <QDialog>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QInputDialog>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QResizeEvent>
#include <QScrollArea>
#include <QScrollBar>
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

} // namespace

FindingsColumn::FindingsColumn(const Session& session, ReviewState& state, QWidget* parent)
    : QWidget(parent), session_(session), state_(state) {
    list_ = new QScrollArea;
    list_->setObjectName(QStringLiteral("findings"));
    list_->setAccessibleName(tr("Findings"));
    list_->setWidgetResizable(true);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scope_ = new QComboBox;
    scope_->setObjectName(QStringLiteral("scope"));
    scope_->setAccessibleName(tr("Which findings"));
    scope_->addItems({tr("What matters, from the ground up"), tr("Everything about the chosen part")});
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    all->addWidget(scope_);
    all->addWidget(list_, 1);
    connect(scope_, &QComboBox::currentIndexChanged, this, &FindingsColumn::fill);
    connect(&state_, &ReviewState::view_changed, this, &FindingsColumn::fill);
    connect(&state_, &ReviewState::decisions_changed, this, &FindingsColumn::fill);
}

QWidget* FindingsColumn::card(const Finding& f, const std::vector<const Finding*>& remark) {
    auto* card = new QFrame;
    card->setObjectName(QStringLiteral("card"));
    auto* grid = new QGridLayout(card);
    grid->setContentsMargins(6, 7, 6, 7);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(3);
    grid->addWidget(new Mark(session_, f.verdict, std::abs(f.excess()) / f.scale(), f.excess() < 0 ? 1 : -1), 0, 0, Qt::AlignTop);
    auto* head = new QPushButton(text::headline(f, session_.catalogue, state_.units));
    head->setObjectName(QStringLiteral("goto"));
    head->setAccessibleName(tr("Go to %1").arg(head->text()));
    const auto* info = session_.catalogue.find(QString::fromStdString(f.measure));
    head->setToolTip(
        info ? tr("%1 (%2). Rule %3. Click to go to the moment.").arg(info->definition(), info->unit, QString::fromStdString(f.rule))
             : QString::fromStdString(f.rule));
    head->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(head, &QPushButton::clicked, this, [this, f] { make_current(f); });
    if (const auto* now = current(); now && FindingKey::of(*now) == FindingKey::of(f)) card->setProperty("current", true);
    grid->addWidget(head, 0, 1);
    QStringList facts;
    if (f.by_hand) {
        facts << text::time(f.time_s);
        if (const QString phase = text::phase(state_.open->review->movement, f.phase); !phase.isEmpty()) facts << phase;
        if (f.severity == Severity::safety) facts << text::severity(f.severity);
    } else if (f.verdict == Verdict::cannot_tell) {
        facts << text::absent(f.absent);
        if (!f.film.empty()) facts << said(f.film);
    } else {
        const QString unit = QString::fromStdString(f.unit);
        facts << tr("%1, band %2").arg(text::with_sigma(f.value, f.sigma, unit, state_.units), text::aim(f, state_.units));
        if (const QString often = text::repetitions(f); !often.isEmpty()) facts << often;
        if (const QString where = text::where(remark, state_.open->review->movement); !where.isEmpty()) facts << where;
        if (state_.open->partner) facts << tr("told by the clip %1").arg(text::view(state_.open->of(f).review->motion.view));
        if (f.contradicted()) facts << tr("the other clip says otherwise: look at Why");
        if (f.once) facts << tr("for certain, but seldom: a note, not a correction");
        if (f.allowed) facts << tr("outside the usual band, inside the one agreed with this student");
        if (!f.reason.empty()) facts << said(f.reason);
        if (f.widened) facts << tr("band widened to what this clip can tell");
        if (f.verdict == Verdict::outside) facts << text::severity(f.severity);
    }
    head->setFocusPolicy(Qt::TabFocus);
    head->setMinimumWidth(60);
    QFont bold = head->font();
    bold.setWeight(QFont::DemiBold);
    if (f.reference || QFontMetrics(bold).horizontalAdvance(head->text()) > list_->viewport()->width() - 64) // a long line in two
        head->setText(head->text().replace(QStringLiteral(": "), QStringLiteral(":\n")));
    auto* why = f.by_hand ? small_button(tr("Take out"), "takeOut", tr("Take out: %1").arg(head->text()), false, false,
                                         [this, f](bool) { emit taken_out(f); })
                          : small_button(tr("Why"), "why", tr("Why: %1").arg(head->text()), false, false, [this, f](bool) { show_why(f); });
    if (!f.by_hand) why->setToolTip(tr("What this rests on: moments, band and whose it is, parts of the error, what it may cause"));
    if (const auto it = state_.open->repeated.find(FindingKey::of(f)); it != state_.open->repeated.end()) {
        const auto& drills = state_.open->review->movement.drills;
        const auto drill = std::find_if(drills.begin(), drills.end(),
                                        [&](const Drill& d) { return std::find(d.rules.begin(), d.rules.end(), f.rule) != d.rules.end(); });
        const QString since = text::day(it->second.first);
        facts << (drill == drills.end()
                      ? tr("asked in %1 letters since %2 and not better: try other words").arg(it->second.times).arg(since)
                      : tr("asked in %1 letters since %2 and not better: try other words, or first the drill “%3”")
                            .arg(it->second.times)
                            .arg(since, said(drill->name)));
    }
    if (!f.cause_of.empty()) facts << tr("may be the cause of a remark higher up");
    auto* fact = new QLabel(facts.join(QStringLiteral(" · ")));
    fact->setObjectName(QStringLiteral("faint"));
    fact->setWordWrap(true);
    grid->addWidget(fact, 1, 1);
    if (f.verdict == Verdict::outside || f.verdict == Verdict::edge)
        add_decisions(f, head->text(), grid, why);
    else
        grid->addWidget(why, 2, 1, Qt::AlignLeft);
    grid->setColumnStretch(1, 1);
    return card;
}

void FindingsColumn::add_decisions(const Finding& f, const QString& name, QGridLayout* grid, QWidget* why) {
    const Decision d = state_.decision_of(f);
    auto* say = new QLabel(d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording));
    say->setWordWrap(true);
    grid->addWidget(say, 2, 1);
    auto* row = new QHBoxLayout;
    row->setSpacing(3);
    auto button = [&](const QString& label, const char* id, bool checkable, bool on, std::function<void(bool)> go) {
        row->addWidget(small_button(label, id, tr("%1: %2").arg(label, name), checkable, on, std::move(go)));
    };
    const QString words = QString::fromStdString(d.wording);
    button(tr("Keep"), "keep", true, d.choice == Choice::kept,
           [this, f, words](bool on) { emit decided(f, on ? Choice::kept : Choice::open, words); });
    button(tr("Set aside"), "setAside", true, d.choice == Choice::set_aside,
           [this, f, words](bool on) { emit decided(f, on ? Choice::set_aside : Choice::open, words); });
    button(tr("Reword"), "reword", true, !d.wording.empty(), [this, f, d](bool) { reword(f, d); });
    row->addWidget(why);
    row->addStretch(1);
    grid->addLayout(row, 3, 0, 1, 2);
}

QWidget* FindingsColumn::small_button(const QString& label, const char* name, const QString& accessible, bool checkable, bool on,
                                      std::function<void(bool)> go) {
    auto* b = new QToolButton;
    b->setText(label);
    b->setObjectName(QLatin1String(name));
    b->setProperty("small", true);
    b->setFocusPolicy(Qt::TabFocus);
    b->setCheckable(checkable);
    b->setChecked(on);
    b->setAccessibleName(accessible);
    connect(b, &QToolButton::clicked, this, std::move(go));
    return b;
}

void FindingsColumn::reword(const Finding& f, const Decision& d) {
    const QString now = d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording);
    auto* dialog = new RewordDialog(now, phrases_for(*state_.open, f), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &RewordDialog::said_so, this, [this, f](const QString& words) {
        // Who says it in words of their own wants it said.
        const bool own = !words.isEmpty() && words != said(f.cue);
        if (own) emit reworded(f, words);
        emit decided(f, Choice::kept, own ? words : QString());
    });
    connect(dialog, &QDialog::rejected, this, &FindingsColumn::fill);
    dialog->open();
}

std::vector<const Finding*> FindingsColumn::in_hand() const {
    std::vector<const Finding*> out;
    if (!state_.open) return out;
    for (const bool fault : {true, false}) // as they stand in the column
        for (const auto& r : remarked(state_.open->review->findings)) {
            const Finding& f = state_.open->review->findings[r.findings.front()];
            if ((f.verdict == Verdict::outside) == fault && (f.verdict == Verdict::outside || f.verdict == Verdict::edge))
                out.push_back(&f);
        }
    return out;
}

const Finding* FindingsColumn::current() const {
    const auto all = in_hand();
    for (const auto* f : all)
        if (FindingKey::of(*f) == current_) return f;
    return all.empty() ? nullptr : all.front();
}

void FindingsColumn::make_current(const Finding& f) {
    current_ = FindingKey::of(f);
    const Finding now = f; // the cards are made anew
    state_.set_family(now.family);
    state_.go_to(now);
    fill();
    if (list_->widget())
        for (auto* card : list_->widget()->findChildren<QFrame*>(QStringLiteral("card")))
            if (card->property("current").toBool()) list_->ensureWidgetVisible(card);
}

void FindingsColumn::step(int by) {
    const auto all = in_hand();
    if (all.empty()) return;
    const auto at = std::find(all.begin(), all.end(), current()) - all.begin();
    make_current(*all[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(at + by, 0, static_cast<std::ptrdiff_t>(all.size()) - 1))]);
}

/// Decides and goes on to the next.
void FindingsColumn::decide_current(Choice choice) {
    const Finding* f = current();
    if (!f) return;
    const Finding now = *f;
    emit decided(now, choice, QString::fromStdString(state_.decision_of(now).wording));
    step(1);
}

void FindingsColumn::reword_current() {
    if (const Finding* f = current()) {
        const Finding now = *f;
        make_current(now);
        reword(now, state_.decision_of(now));
    }
}

void FindingsColumn::show_why(const Finding& f) {
    if (!state_.open) return;
    auto* dialog = new QDialog(this);
    dialog->setObjectName(QStringLiteral("whyDialog"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(tr("Why: %1").arg(text::headline(f, session_.catalogue, state_.units)));
    auto* box = new QVBoxLayout(dialog);
    auto* words = new QLabel(text::why(f, *state_.open->review, session_.catalogue, state_.units).join(QStringLiteral("\n\n")));
    words->setObjectName(QStringLiteral("whyText"));
    words->setWordWrap(true);
    words->setTextInteractionFlags(Qt::TextSelectableByMouse | Qt::TextSelectableByKeyboard);
    words->setMinimumWidth(460);
    box->addWidget(words);
    auto* close = new QDialogButtonBox(QDialogButtonBox::Close);
    auto* agree_button = close->addButton(tr("Agree on another band …"), QDialogButtonBox::ActionRole);
    agree_button->setObjectName(QStringLiteral("agree"));
    connect(agree_button, &QPushButton::clicked, dialog, [this, dialog, check = QString::fromStdString(f.check)] {
        dialog->close();
        emit agree(check);
    });
    if (f.direction != Direction::none) {
        auto* show = close->addButton(tr("Show me"), QDialogButtonBox::ActionRole);
        show->setObjectName(QStringLiteral("showMe"));
        show->setToolTip(tr("The fault beside the right one, in Forms"));
        connect(show, &QPushButton::clicked, dialog, [this, dialog, f] {
            dialog->close();
            emit show_me(f);
        });
    }
    connect(close, &QDialogButtonBox::rejected, dialog, &QDialog::close);
    box->addWidget(close);
    dialog->open();
}

/// Lines are broken for the width there is.
void FindingsColumn::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    if (e->size().width() != e->oldSize().width()) fill();
}

void FindingsColumn::fill() {
    auto* inner = new QWidget;
    auto* box = new QVBoxLayout(inner);
    box->setContentsMargins(4, 4, 4, 4);
    box->setSpacing(6);
    int shown = 0;
    bool notes = false;
    if (state_.open && scope_->currentIndex() == 0) {
        QStringList day;
        if (state_.open->condition.energy) day << tr("energy %1 of 10").arg(*state_.open->condition.energy);
        if (!state_.open->condition.pain.empty()) day << tr("pain: %1").arg(QString::fromStdString(state_.open->condition.pain));
        if (const auto& version = state_.open->review->movement.version; !version.empty()) day << tr("taught as “%1”").arg(said(version));
        for (const auto& p : state_.open->review->movement.phases)
            if (p.id == state_.open->taught.up_to) day << tr("taught up to “%1”").arg(said(p.name));
        if (!day.isEmpty()) {
            auto* words = new QLabel(tr("That day: %1").arg(day.join(QStringLiteral(" · "))));
            words->setObjectName(QStringLiteral("thatDay"));
            words->setWordWrap(true);
            box->addWidget(words);
        }
        if (state_.open->review->movement.id == free_id) {
            auto* words = new QLabel(
                state_.open->review->alignment.repetitions.empty()
                    ? tr("None of the forms, and both feet are never still for long: all figures are measured, nothing is judged.")
                    : tr("None of the forms: all figures are measured. Where both feet stand still it is looked at whether it may hurt; "
                         "what "
                         "is said counts unless it was meant."));
            words->setObjectName(QStringLiteral("freeWords"));
            words->setWordWrap(true);
            box->addWidget(words);
        }
        if (WhichBox::has_words(*state_.open)) {
            auto* which = new WhichBox(session_, *state_.open);
            connect(which, &WhichBox::as_named, this, &FindingsColumn::as_named);
            connect(which, &WhichBox::as_other, this, &FindingsColumn::as_other);
            box->addWidget(which);
        }
        add_asked(box);
    }
    if (state_.open)
        for (const bool fault : {true, false}) // corrections first, notes apart
            for (const auto& r : remarked(state_.open->review->findings)) {
                const Finding& f = state_.open->review->findings[r.findings.front()];
                if ((f.verdict == Verdict::outside) != fault) continue;
                const bool matters = fault || f.verdict == Verdict::edge || f.allowed;
                if (scope_->currentIndex() == 0 ? !matters : f.family != state_.family) continue;
                if (!fault && !notes && scope_->currentIndex() == 0) {
                    auto* heading = new QLabel(tr("Notes: at the edge, seldom, or agreed"));
                    heading->setObjectName(QStringLiteral("heading"));
                    box->addWidget(heading);
                    notes = true;
                }
                std::vector<const Finding*> remark;
                for (const auto k : r.findings) remark.push_back(&state_.open->review->findings[k]);
                box->addWidget(card(f, remark));
                ++shown;
            }
    if (shown == 0) {
        auto* none =
            new QLabel(!state_.open                              ? tr("Open a clip from Arrivals to see its findings.")
                       : !state_.open->review->held_back.empty() ? tr("Nothing is judged.")
                       : scope_->currentIndex() == 0
                           ? tr("Nothing outside its band in this clip. Choose a part on the left to see what was held against which band.")
                           : tr("The movement has no check for this part."));
        none->setWordWrap(true);
        none->setObjectName(QStringLiteral("faint"));
        box->addWidget(none);
    }
    if (state_.open && scope_->currentIndex() == 0) add_agreements(box);
    box->addStretch(1);
    const int at = list_->verticalScrollBar() ? list_->verticalScrollBar()->value() : 0;
    list_->setWidget(inner);
    list_->verticalScrollBar()->setValue(at);
}

/// What the last letter asked for, with what this clip says of it.
void FindingsColumn::add_asked(QBoxLayout* box) {
    if (state_.open->asked.empty()) return;
    auto* heading = new QLabel(tr("Asked last time (%1)").arg(text::day(state_.open->asked.front().day)));
    heading->setObjectName(QStringLiteral("heading"));
    box->addWidget(heading);
    for (const auto& a : state_.open->asked) {
        // The same check and side, at whichever end of its band.
        const auto slash = a.key.rfind('/');
        std::string check = a.key.substr(0, slash);
        const std::string side = slash == std::string::npos ? "" : a.key.substr(slash + 1);
        for (const char* end : {".low", ".high"})
            if (check.ends_with(end)) check.resize(check.size() - std::string_view(end).size());
        const Finding* now = nullptr;
        const auto rank = [](Verdict v) { return v == Verdict::outside ? 3 : v == Verdict::edge ? 2 : v == Verdict::inside ? 1 : 0; };
        for (const auto& f : state_.open->review->findings)
            if (f.check == check && (f.side ? std::string(side_name(*f.side)) : "") == side &&
                (!now || rank(f.verdict) > rank(now->verdict)))
                now = &f;
        auto* card = new QFrame;
        card->setObjectName(QStringLiteral("card"));
        auto* grid = new QGridLayout(card);
        grid->setContentsMargins(6, 6, 6, 6);
        QString words = text::check_name(check, session_.catalogue);
        if (!side.empty()) words += QStringLiteral(", ") + text::side(side == "left" ? Side::left : Side::right);
        const QString unit = now ? QString::fromStdString(now->unit) : QString();
        const QString today = !now                                   ? tr("not judged in this clip")
                              : now->verdict == Verdict::cannot_tell ? tr("cannot be told from this clip")
                              : now->verdict == Verdict::inside
                                  ? tr("within the band today: %1").arg(text::with_sigma(now->value, now->sigma, unit, state_.units))
                              : now->verdict == Verdict::edge
                                  ? tr("at the edge today: %1").arg(text::with_sigma(now->value, now->sigma, unit, state_.units))
                                  : tr("still outside: %1, band %2")
                                        .arg(text::with_sigma(now->value, now->sigma, unit, state_.units), text::aim(*now, state_.units));
        auto* label = new QLabel(tr("%1: %2").arg(words, today));
        label->setObjectName(QStringLiteral("askedBefore"));
        label->setWordWrap(true);
        if (!a.words.empty()) label->setToolTip(QString::fromStdString(a.words));
        if (now)
            grid->addWidget(new Mark(session_, now->verdict, std::abs(now->excess()) / now->scale(), now->excess() < 0 ? 1 : -1), 0, 0,
                            Qt::AlignTop);
        grid->addWidget(label, 0, 1);
        grid->setColumnStretch(1, 1);
        box->addWidget(card);
    }
}

/// What is in force for this clip by agreement, whether or not it made a difference.
void FindingsColumn::add_agreements(QBoxLayout* box) {
    if (state_.open->agreements.empty()) return;
    auto* heading = new QLabel(tr("Agreed"));
    heading->setObjectName(QStringLiteral("heading"));
    box->addWidget(heading);
    for (const auto& a : state_.open->agreements) {
        auto* card = new QFrame;
        card->setObjectName(QStringLiteral("card"));
        auto* row = new QHBoxLayout(card);
        row->setContentsMargins(8, 7, 8, 7);
        auto* words = new QLabel(text::agreement(a, session_.catalogue, state_.units));
        words->setWordWrap(true);
        words->setObjectName(QStringLiteral("agreement"));
        row->addWidget(words, 1);
        if (a.limit().empty()) // those are changed in People
            row->addWidget(small_button(tr("Change …"), "changeAgreement", tr("Change: %1").arg(words->text()), false, false,
                                        [this, check = a.check](bool) { emit agree(QString::fromStdString(check)); }),
                           0, Qt::AlignTop);
        box->addWidget(card);
    }
}

} // namespace bevel::ui
