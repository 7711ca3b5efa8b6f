#include "ui/review/findings_column.h"
#include "core/review/free.h"
#include "ui/paint/letter_document.h"
#include "ui/review/reword_dialog.h"
#include "ui/review/which_box.h"
#include "ui/review/why_dialog.h"
#include <cmath>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QResizeEvent>
#include <QScrollArea>
#include <QScrollBar>
#include <QStyleOptionButton>
#include <QTimer>
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

/// A button whose words go over as many lines as they need.
class WrappingButton : public QPushButton {
public:
    WrappingButton(const QString& words, const QColor& over) : QPushButton(words), over_(over) {
        QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
        policy.setHeightForWidth(true);
        setSizePolicy(policy);
        setCursor(Qt::PointingHandCursor);
    }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return static_cast<int>(std::ceil(bound(width - 2.0 * margin).height())) + 2 * margin; }
    QSize sizeHint() const override { return {200, heightForWidth(200)}; }
    QSize minimumSizeHint() const override { return {60, 20}; }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setFont(bold());
        p.setPen(underMouse() ? over_ : palette().color(QPalette::ButtonText));
        p.drawText(QRectF(rect()).adjusted(margin, margin, -margin, -margin), Qt::TextWordWrap | Qt::AlignLeft | Qt::AlignTop, text());
        if (!hasFocus()) return;
        QStyleOptionFocusRect option;
        option.initFrom(this);
        style()->drawPrimitive(QStyle::PE_FrameFocusRect, &option, &p, this);
    }

private:
    static constexpr int margin = 2;
    QFont bold() const {
        QFont f = font();
        f.setWeight(QFont::DemiBold);
        return f;
    }
    QRectF bound(double width) const {
        return QFontMetricsF(bold()).boundingRect(QRectF(0, 0, width, 10000), Qt::TextWordWrap | Qt::AlignLeft, text());
    }
    QColor over_;
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
    scope_->addItems({tr("What matters, from the ground up"), tr("All about: %1").arg(text::family(state_.family))});
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    all->addWidget(scope_);
    all->addWidget(list_, 1);
    connect(scope_, &QComboBox::currentIndexChanged, this, &FindingsColumn::fill);
    connect(&state_, &ReviewState::view_changed, this, [this] {
        scope_->setItemText(1, tr("All about: %1").arg(text::family(state_.family)));
        fill();
    });
    connect(&state_, &ReviewState::part_chosen, this,
            [this](bool again) { scope_->setCurrentIndex(again && scope_->currentIndex() == 1 ? 0 : 1); });
    connect(&state_, &ReviewState::decisions_changed, this, &FindingsColumn::fill);
}

void FindingsColumn::begin_anew() {
    current_ = {};
    const QSignalBlocker quiet(scope_);
    scope_->setCurrentIndex(0);
}

QWidget* FindingsColumn::card(const Finding& f, const std::vector<const Finding*>& remark) {
    auto* card = new QFrame;
    card->setObjectName(QStringLiteral("card"));
    auto* grid = new QGridLayout(card);
    grid->setContentsMargins(6, 7, 6, 7);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(3);
    grid->addWidget(new Mark(session_, f.verdict, std::abs(f.excess()) / f.scale(), f.excess() < 0 ? 1 : -1), 0, 0, Qt::AlignTop);
    const auto on = [&](Side s) { return std::any_of(remark.begin(), remark.end(), [&](const Finding* g) { return g->side == s; }); };
    const QString seen = text::fault(f, session_.catalogue, on(Side::left) && on(Side::right));
    auto* head = new WrappingButton(seen, session_.theme.palette.accent);
    head->setObjectName(QStringLiteral("goto"));
    head->setAccessibleName(tr("Go to %1").arg(seen));
    const auto* info = session_.catalogue.find(QString::fromStdString(f.measure));
    head->setToolTip(
        info ? tr("%1 (%2). Rule %3. Click to go to the moment.").arg(info->definition(), info->unit, QString::fromStdString(f.rule))
             : QString::fromStdString(f.rule));
    head->setFocusPolicy(Qt::TabFocus);
    connect(head, &QPushButton::clicked, this, [this, f] { make_current(f); });
    if (const auto* now = current(); now && FindingKey::of(*now) == FindingKey::of(f)) card->setProperty("current", true);
    grid->addWidget(head, 0, 1);
    if (const QString when = when_and_where(f, remark); !when.isEmpty()) grid->addWidget(note(when, "where"), 1, 1);
    const QString unit = QString::fromStdString(f.unit);
    if (!f.by_hand && f.verdict != Verdict::cannot_tell)
        grid->addWidget(
            note(tr("%1 · asked: %2").arg(text::with_sigma(f.value, f.sigma, unit, state_.units), text::aim(f, state_.units)), "figure"), 3,
            1);
    if (const QStringList state = state_of(f); !state.isEmpty()) grid->addWidget(note(state.join(QLatin1Char('\n')), "state"), 4, 1);
    auto* why = f.by_hand ? small_button(tr("Take out"), "takeOut", tr("Take out: %1").arg(seen), false, false,
                                         [this, f](bool) { emit taken_out(f); })
                          : small_button(tr("Why"), "why", tr("Why: %1").arg(seen), false, false, [this, f](bool) { show_why(f); });
    if (!f.by_hand) why->setToolTip(tr("What this rests on: moments, band and whose it is, parts of the error, what it may cause"));
    if (f.verdict == Verdict::outside || f.verdict == Verdict::edge)
        add_decisions(f, seen, grid, why);
    else
        grid->addWidget(why, 5, 1, Qt::AlignLeft);
    grid->setColumnStretch(1, 1);
    return card;
}

QWidget* FindingsColumn::note(const QString& words, const char* name) {
    auto* label = new QLabel(words);
    label->setObjectName(QStringLiteral("faint"));
    label->setProperty("of", QLatin1String(name));
    label->setWordWrap(true);
    return label;
}

/// How often and in which parts of the movement; of what was seen by hand its moment.
QString FindingsColumn::when_and_where(const Finding& f, const std::vector<const Finding*>& remark) const {
    const Movement& m = state_.open->review->movement;
    QStringList out;
    if (f.severity == Severity::safety && f.verdict == Verdict::outside) out << tr("Safety");
    if (f.by_hand) {
        out << text::time(f.time_s) << text::phase(m, f.phase);
    } else if (f.verdict == Verdict::cannot_tell) {
        out << text::absent(f.absent);
        if (!f.film.empty()) out << said(f.film);
    } else {
        out << text::where(remark, m, false) << text::repetitions(f);
    }
    out.removeAll(QString());
    return out.join(QStringLiteral(" · "));
}

/// What one has to know of it before one decides. All else is behind Why.
QStringList FindingsColumn::state_of(const Finding& f) const {
    QStringList out;
    if (f.contradicted()) out << tr("The other clip says otherwise: look at Why.");
    if (f.once) out << tr("For certain, but seldom: a note, not a correction.");
    if (f.allowed) out << tr("Outside the usual band, inside the one agreed with this student.");
    for (const auto& a : state_.open->asked)
        if (FindingKey::read(a.key).either() == FindingKey::of(f).either())
            out << tr("Asked last time, %1.").arg(text::day(state_.open->asked.front().day));
    const auto it = state_.open->repeated.find(FindingKey::of(f));
    if (it == state_.open->repeated.end()) return out;
    const auto& drills = state_.open->review->movement.drills;
    const auto drill = std::find_if(drills.begin(), drills.end(),
                                    [&](const Drill& d) { return std::find(d.rules.begin(), d.rules.end(), f.rule) != d.rules.end(); });
    const QString since = text::day(it->second.first);
    out << (drill == drills.end() ? tr("Asked in %1 letters since %2 and not better: try other words.").arg(it->second.times).arg(since)
                                  : tr("Asked in %1 letters since %2 and not better: try other words, or first the drill “%3”.")
                                        .arg(it->second.times)
                                        .arg(since, said(drill->name)));
    return out;
}

void FindingsColumn::add_decisions(const Finding& f, const QString& name, QGridLayout* grid, QWidget* why) {
    const Decision d = state_.decision_of(f);
    auto* say = new QLabel(d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording));
    say->setWordWrap(true);
    say->setObjectName(QStringLiteral("cue"));
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
    grid->addLayout(row, 5, 0, 1, 2);
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
    state_.point_at(&now);
    state_.go_to(now);
    fill();
    const auto show = [this] {
        for (auto* card : list_->widget()->findChildren<QFrame*>(QStringLiteral("card")))
            if (card->property("current").toBool()) list_->ensureWidgetVisible(card);
    };
    show();
    QTimer::singleShot(0, list_, show); // once more when the lines are broken for their width
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
    const Decision d = state_.decision_of(f);
    auto* dialog =
        new WhyDialog(session_, state_.open, f, state_.units, d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording), this);
    connect(dialog, &WhyDialog::agree, this, [this, check = QString::fromStdString(f.check)] { emit agree(check); });
    connect(dialog, &WhyDialog::show_me, this, [this, f] { emit show_me(f); });
    dialog->open();
}

/// Lines are broken for the width there is.
void FindingsColumn::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    if (e->size().width() != e->oldSize().width()) fill();
}

void FindingsColumn::fill() {
    // From the ground up, as the column beside it: what comes first stands lowest. Tab goes from the first to the last.
    auto* inner = new QWidget;
    auto* box = new QVBoxLayout(inner);
    box->setContentsMargins(4, 4, 4, 4);
    box->setSpacing(6);
    std::vector<QWidget*> cards;
    const bool what_matters = scope_->currentIndex() == 0;
    if (state_.open) cards = cards_of(what_matters);
    if (cards.empty()) cards.push_back(nothing_said(what_matters));
    if (state_.open && what_matters) add_day(box);
    box->addStretch(1);
    if (state_.open && what_matters) {
        add_agreements(box);
        add_asked(box);
    }
    for (auto* card : cards) card->setParent(inner); // Tab goes from the first to the last, wherever they stand
    for (auto it = cards.rbegin(); it != cards.rend(); ++it) box->addWidget(*it);
    auto* bar = list_->verticalScrollBar();
    const int from_below = bar->maximum() - bar->value();
    list_->setWidget(inner);
    inner->adjustSize();
    const auto stay = [this, from_below] { list_->verticalScrollBar()->setValue(list_->verticalScrollBar()->maximum() - from_below); };
    stay();
    QTimer::singleShot(0, list_, stay); // once more when the lines are broken for their width
}

/// First of all what comes first. Corrections before notes, which have a heading of their own.
std::vector<QWidget*> FindingsColumn::cards_of(bool what_matters) {
    std::vector<QWidget*> out;
    const auto& findings = state_.open->review->findings;
    bool notes = false;
    for (const bool fault : {true, false}) {
        for (const auto& r : remarked(findings)) {
            const Finding& f = findings[r.findings.front()];
            if ((f.verdict == Verdict::outside) != fault) continue;
            const bool matters = fault || f.verdict == Verdict::edge || f.allowed;
            if (what_matters ? !matters : f.family != state_.family) continue;
            std::vector<const Finding*> remark;
            for (const auto k : r.findings) remark.push_back(&findings[k]);
            out.push_back(card(f, remark));
            notes = notes || !fault;
        }
        if (!fault && notes && what_matters) {
            auto* heading = new QLabel(tr("Notes: at the edge, seldom, or agreed"));
            heading->setWordWrap(true);
            heading->setObjectName(QStringLiteral("heading"));
            out.push_back(heading);
        }
    }
    return out;
}

QWidget* FindingsColumn::nothing_said(bool what_matters) const {
    auto* none = new QLabel(
        !state_.open                              ? tr("Open a clip from Arrivals to see its findings.")
        : !state_.open->review->held_back.empty() ? tr("Nothing is judged.")
        : what_matters ? tr("Nothing outside its band in this clip. Choose a part on the left to see what was held against which band.")
                       : tr("The movement has no check for this part."));
    none->setWordWrap(true);
    none->setObjectName(QStringLiteral("faint"));
    return none;
}

/// How that day was, and what kind of clip it is.
void FindingsColumn::add_day(QBoxLayout* box) {
    QStringList day;
    const auto& open = *state_.open;
    if (open.condition.energy) day << tr("energy %1 of 10").arg(*open.condition.energy);
    if (!open.condition.pain.empty()) day << tr("pain: %1").arg(QString::fromStdString(open.condition.pain));
    if (const auto& version = open.review->movement.version; !version.empty()) day << tr("taught as “%1”").arg(said(version));
    for (const auto& p : open.review->movement.phases)
        if (p.id == open.taught.up_to) day << tr("taught up to “%1”").arg(said(p.name));
    auto say = [&](const QString& s, const char* name) {
        auto* words = new QLabel(s);
        words->setObjectName(QLatin1String(name));
        words->setWordWrap(true);
        box->addWidget(words);
    };
    if (!day.isEmpty()) say(tr("That day: %1").arg(day.join(QStringLiteral(" · "))), "thatDay");
    if (open.review->movement.id == free_id)
        say(open.review->alignment.repetitions.empty()
                ? tr("None of the forms, and both feet are never still for long: all figures are measured, nothing is judged.")
                : tr("None of the forms: all figures are measured. Where both feet stand still it is looked at whether it may hurt; what "
                     "is "
                     "said counts unless it was meant."),
            "freeWords");
    if (!WhichBox::has_words(open)) return;
    auto* which = new WhichBox(session_, open);
    connect(which, &WhichBox::as_named, this, &FindingsColumn::as_named);
    connect(which, &WhichBox::as_other, this, &FindingsColumn::as_other);
    box->addWidget(which);
}

/// What the last letter asked for and this clip no longer asks for, or cannot tell: what is still outside or at the edge says so on its
/// card.
void FindingsColumn::add_asked(QBoxLayout* box) {
    bool heading = false;
    const auto rank = [](Verdict v) { return v == Verdict::outside ? 3 : v == Verdict::edge ? 2 : v == Verdict::inside ? 1 : 0; };
    for (const auto& a : state_.open->asked) {
        const FindingKey key = FindingKey::read(a.key).either(); // at whichever end of its band
        const Finding* now = nullptr;
        for (const auto& f : state_.open->review->findings)
            if (key.means(f) && (!now || rank(f.verdict) > rank(now->verdict))) now = &f;
        if (now && rank(now->verdict) > 1) continue;
        if (!std::exchange(heading, true)) {
            auto* words = new QLabel(tr("Asked last time (%1)").arg(text::day(state_.open->asked.front().day)));
            words->setObjectName(QStringLiteral("heading"));
            box->addWidget(words);
        }
        QString words = text::check_name(key.check, session_.catalogue);
        if (key.side) words += QStringLiteral(", ") + text::side(*key.side);
        auto* row = new QHBoxLayout;
        row->setContentsMargins(6, 0, 6, 0);
        if (now) row->addWidget(new Mark(session_, now->verdict, 0, 1), 0, Qt::AlignTop);
        auto* label = new QLabel((!now                                   ? tr("%1: not judged in this clip")
                                  : now->verdict == Verdict::cannot_tell ? tr("%1: cannot be told from this clip")
                                                                         : tr("%1: within the band today"))
                                     .arg(words));
        label->setObjectName(QStringLiteral("askedBefore"));
        label->setWordWrap(true);
        if (!a.words.empty()) label->setToolTip(QString::fromStdString(a.words));
        row->addWidget(label, 1);
        box->addLayout(row);
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
