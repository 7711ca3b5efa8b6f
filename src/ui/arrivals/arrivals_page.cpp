#include "ui/arrivals/arrivals_page.h"
#include "core/files.h"
#include "ui/arrivals/evening_view.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/inbox.h"
#include "ui/arrivals/keeping_dialog.h"
#include "ui/arrivals/limit_strip.h"
#include "ui/arrivals/meant_dialog.h"
#include "ui/arrivals/parts_dialog.h"
#include "ui/arrivals/welcome.h"
#include "ui/paint/guide.h"
#include "ui/shell/flow_layout.h"
#include <QHeaderView>
#include <QLineEdit>
#include <QTabWidget>

namespace bevel::ui {

namespace {
/// Another student, movement, view or school for a clip, to be done and undone.
class FactsStep : public QUndoCommand {
public:
    FactsStep(QPointer<ClipForm> form, ClipRow before, ClipRow after)
        : form_(std::move(form)), before_(std::move(before)), after_(std::move(after)) {
        setText(ClipForm::tr("the facts of a clip"));
    }
    void redo() override { judge(after_); }
    void undo() override { judge(before_); }

private:
    void judge(const ClipRow& row) {
        if (form_) form_->judge_again(row.person, row.clip);
    }
    QPointer<ClipForm> form_;
    ClipRow before_, after_;
};
} // namespace

ArrivalsPage::ArrivalsPage(Session& session, QWidget* parent) : Place(session, "arrivals", parent) {
    setAcceptDrops(true);
    build();
    connect(session_.workspace, &Workspace::changed, this, &ArrivalsPage::refresh);
    connect(session_.finding, &FindingQueue::started, this, &ArrivalsPage::refresh);
    connect(form_, &ClipForm::facts_changed, this, &ArrivalsPage::change_facts);
    connect(form_, &ClipForm::delete_asked, this, &ArrivalsPage::delete_chosen);
    connect(form_, &ClipForm::confirmed, this, &ArrivalsPage::go_to_next_asked);
    refresh();
}

void ArrivalsPage::build_table() {
    clips_ = new RowsModel<ClipRow>(
        {{tr("Student"), [](const ClipRow& r) { return QString::fromStdString(r.clip.person != 0 ? r.person.name : r.clip.named); }},
         {tr("Movement"),
          [this](const ClipRow& r) {
              const auto m = session_.movement(r.clip.movement);
              return m ? said(m->name) : QString::fromStdString(r.clip.movement);
          }},
         {tr("Filmed"),
          [](const ClipRow& r) {
              const auto view = view_from_name(r.clip.view);
              return (view ? text::view(*view) : tr("as the clip shows")) +
                     (r.clip.is_part() ? QStringLiteral(", ") + text::span(r.clip.part_from_s, r.clip.part_to_s) : QString());
          }},
         {tr("On"),
          [](const ClipRow& r) {
              return text::day(r.clip.filmed_on, true); // the year is searched for
          }},
         {tr("State"), [this](const ClipRow& r) { return state_of(r); }, [this](const ClipRow& r) { return ink_of(r); }}},
        this);
    found_ = new WordsFilter(this);
    found_->setSourceModel(clips_);
    table_ = table_of(found_, QStringLiteral("clips"), tr("Clips"), {});
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::Interactive);
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->horizontalHeader()->setHighlightSections(false);
    table_->setColumnWidth(0, 150);
    table_->setColumnWidth(1, 180);
    table_->setColumnWidth(2, 175);
    table_->setColumnWidth(3, 95);
    table_->verticalHeader()->setDefaultSectionSize(34);
    // Clips that wait for their turn are dragged into the order wished.
    table_->setDragEnabled(true);
    table_->setAcceptDrops(true);
    table_->setDragDropMode(QAbstractItemView::InternalMove);
    table_->setDropIndicatorShown(true);
    table_->viewport()->installEventFilter(this);
    connect(table_, &QTableView::activated, this, &ArrivalsPage::open_chosen);
    connect(table_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &ArrivalsPage::show_chosen);
}

/// What can be done with the chosen clip.
QLayout* ArrivalsPage::choices_row() {
    open_ = new QPushButton(tr("Open the review"));
    open_->setObjectName(QStringLiteral("openReview"));
    open_->setEnabled(false);
    change_ = new QPushButton(tr("Change …"));
    change_->setObjectName(QStringLiteral("change"));
    change_->setToolTip(tr("Another student, movement, view or school for the chosen clip; it is judged again"));
    change_->setEnabled(false);
    parts_ = new QPushButton(tr("Cut into parts …"));
    parts_->setObjectName(QStringLiteral("cutParts"));
    parts_->setToolTip(tr("Several takes or movements in one file: each becomes a clip of its own; idle beginnings and ends are left out"));
    parts_->setEnabled(false);
    meant_ = new QPushButton(tr("Which one is it? …"));
    meant_->setObjectName(QStringLiteral("whoIsMeant"));
    meant_->setToolTip(tr("Several people are in the picture: point to the student"));
    meant_->hide();
    hand_ = new QPushButton(tr("Set the body by hand …"));
    hand_->setObjectName(QStringLiteral("byHand"));
    hand_->setToolTip(tr("Nobody was found: set the points on a few frames yourself, Bevel follows them between"));
    hand_->hide();
    auto* below = new FlowLayout;
    below->setSpacing(6);
    below->addWidget(open_);
    below->addWidget(change_);
    below->addWidget(parts_);
    below->addWidget(meant_);
    below->addWidget(hand_);
    connect(open_, &QPushButton::clicked, this, &ArrivalsPage::open_chosen);
    connect(change_, &QPushButton::clicked, form_, &ClipForm::focus_facts);
    connect(parts_, &QPushButton::clicked, this, &ArrivalsPage::cut_chosen);
    connect(meant_, &QPushButton::clicked, this, &ArrivalsPage::ask_who);
    connect(hand_, &QPushButton::clicked, this, &ArrivalsPage::set_by_hand);
    return below;
}

QLayout* ArrivalsPage::search_row() {
    auto* title = new QLabel(tr("Arrivals"));
    title->setObjectName(QStringLiteral("title"));
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("search"));
    search_->setAccessibleName(tr("Search by student, movement, date or state"));
    search_->setPlaceholderText(tr("Search: student, movement, date, state"));
    search_->setClearButtonEnabled(true);
    search_->setFixedWidth(320);
    typing_.setSingleShot(true);
    typing_.setInterval(150);
    connect(&typing_, &QTimer::timeout, this, &ArrivalsPage::refresh);
    connect(search_, &QLineEdit::textChanged, this, [this] {
        show_found();
        if (all_ > static_cast<std::int64_t>(rows().size()) || query().words.empty()) typing_.start();
    });
    auto* top = new QHBoxLayout;
    top->addWidget(title, 1);
    top->addWidget(search_);
    return top;
}

QWidget* ArrivalsPage::build_clips() {
    auto* hint = new QLabel(
        tr("Drop clips or folders anywhere. Film from the front or straight from a side, whole body and both feet in the picture."));
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    build_table();
    strip_ = new LimitStrip(session_);
    detail_ = new QLabel;
    detail_->setObjectName(QStringLiteral("detail"));
    detail_->setWordWrap(true);
    detail_->setMinimumHeight(40);
    detail_->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    more_ = new QLabel;
    more_->setObjectName(QStringLiteral("faint"));
    more_->hide();
    auto* clips = new QWidget;
    auto* list = new QVBoxLayout(clips);
    list->setContentsMargins(8, 8, 8, 8);
    list->addWidget(hint);
    list->addWidget(table_, 1);
    list->addWidget(more_);
    list->addWidget(detail_);
    list->addWidget(strip_);
    list->addLayout(choices_row());
    return clips;
}

void ArrivalsPage::build() {
    form_ = new ClipForm(session_);
    auto* left = new QVBoxLayout;
    left->addLayout(search_row());
    QWidget* clips = build_clips();
    evening_ = new EveningView(session_);
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("arrivalTabs"));
    tabs_->setAccessibleName(tr("Arrivals"));
    tabs_->addTab(evening_, tr("This evening"));
    tabs_->addTab(clips, tr("All clips"));
    left->addWidget(tabs_, 1);
    welcome_ = new Welcome(session_);
    welcome_->hide();
    left->addWidget(welcome_, 1);
    connect(welcome_, &Welcome::take_in, this, [this] { form_->choose_files(); });
    connect(evening_, &EveningView::unnamed, this, &ArrivalsPage::show_clip);
    connect(evening_, &EveningView::current_changed, this, &ArrivalsPage::show_chosen);
    connect(tabs_, &QTabWidget::currentChanged, this, &ArrivalsPage::show_chosen);
    connect(evening_, &EveningView::person, this, [this](qint64 who) {
        Ref ref;
        ref.person = who;
        session_.workspace->go(QStringLiteral("people"), ref);
    });
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addLayout(left, 1);
    all->addWidget(form_);
}

void ArrivalsPage::open(Ref ref) {
    if (ref.clip != 0) show_clip(ref.clip);
}

void ArrivalsPage::show_clip(qint64 id) {
    tabs_->setCurrentIndex(1);
    search_->clear();
    wanted_ = id;
    for (int row = 0; row < clips_->rowCount(); ++row)
        if (rows()[static_cast<std::size_t>(row)].clip.id == id) {
            found_->look_for({}); // at once, not when the words stand still
            choose(row);
            wanted_ = 0;
        }
}

void ArrivalsPage::open_chosen() {
    if (const auto* r = chosen(); r && (r->clip.state == ClipState::tracked || r->clip.state == ClipState::reviewed))
        session_.workspace->go(QStringLiteral("review"), {r->clip.id});
}

void ArrivalsPage::change_facts(const ClipRow& before, const ClipRow& after) {
    undo().push(new FactsStep(form_, before, after));
}

void ArrivalsPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    QWidget* window = this->window();
    actions.add(window, M::file, "takeIn", tr("Take in a clip …"), {QKeySequence::Open}, [this] {
        session_.workspace->go(id());
        form_->choose_files();
    });
    actions.add(
        window, M::file, "filmingGuide", tr("Filming guide …"), {}, [this] { save_guide(); },
        tr("A page for students: where to stand, where the phone goes, what to wear, for the chosen movement"));
    actions.separate();
    actions.add(
        window, M::file, "backUp", tr("Back up the library …"), {}, [this] { back_up(); },
        tr("Everything in one file: people, clips, points, decisions, letters"));
    actions.add(
        window, M::file, "keeping", tr("Room and keeping …"), {}, [this] { show_keeping(); },
        tr("How much room the films take, and until when they are kept"));
    actions.add(window, M::file, "restore", tr("Restore a backup …"), {}, [this] { restore(); });
    actions.add(this, M::clip, "openReviewAction", tr("Open the review"), {QKeySequence(Qt::CTRL | Qt::Key_Return)},
                [this] { open_or_confirm(); });
    actions.add(this, M::clip, "changeClip", tr("Change student, movement or view …"), {QKeySequence(Qt::Key_F2)},
                [this] { change_->click(); });
    actions.add(this, M::clip, "cutPartsAction", tr("Cut into parts …"), {QKeySequence(Qt::Key_F4)}, [this] { parts_->click(); });
    actions.add(this, M::clip, "whoAction", tr("Which of several people is it? …"), {QKeySequence(Qt::Key_F5)}, [this] { ask_who(); });
    for (int i = 0; i < 3; ++i)
        actions.add(this, M::clip, "chooseGuess", tr("It is the guess number %1").arg(i + 1),
                    {QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_1 + i))}, [this, i] { form_->choose_person(i); });
    actions.add(this, M::clip, "confirmClip", tr("That is right: whose it is and which movement"),
                {QKeySequence(Qt::Key_Return), QKeySequence(Qt::Key_Enter)}, [this] { confirm_or_open(); });
    actions.add(this, M::clip, "nextAsked", tr("To the next clip that is asked about"), {QKeySequence(Qt::Key_F3)},
                [this] { go_to_next_asked(0); });
    actions.separate();
    actions.add(this, M::clip, "sooner", tr("Look at this clip sooner"), {QKeySequence(Qt::ALT | Qt::Key_Up)}, [this] { move_turn(-1); });
    actions.add(this, M::clip, "later", tr("Look at this clip later"), {QKeySequence(Qt::ALT | Qt::Key_Down)}, [this] { move_turn(1); });
    auto* rest = actions.add(
        window, M::clip, "restQueue", tr("Let the queue rest"), {}, [this] { session_.finding->rest(!session_.finding->rests()); },
        tr("The clip under way is finished; nothing new is begun until it goes on"));
    rest->setCheckable(true);
    rest->setChecked(session_.finding->rests());
    actions.separate();
    actions.add(this, M::clip, "deleteClip", tr("Delete this clip …"), {QKeySequence::Delete}, [this] { delete_chosen(); });
    actions.add(
        this, M::clip, "erasePerson", tr("Erase this student …"), {}, [this] { erase_chosen(); },
        tr("Everything about this person: clips, points, decisions, agreements and letters"));
}

void ArrivalsPage::new_theme() {
    show_chosen();
    refresh();
}

void ArrivalsPage::cut_chosen() {
    const auto* r = chosen();
    if (!r || !parts_->isEnabled()) return;
    auto* dialog = new PartsDialog(session_, *r, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &PartsDialog::cut, this, [this, id = r->clip.id](const std::vector<StripPart>& parts) {
        std::vector<CutPart> all;
        for (const auto& p : parts) all.push_back({p.from_s, p.to_s, p.movement, p.person});
        upkeep(tr("Cutting …"), [lib = session_.library, forms = session_.forms(), id, all](const std::stop_token&) -> Result<QString> {
            return cut_into(*lib, forms, id, all).map([](const std::vector<std::int64_t>& ids) {
                return ids.size() == 1 ? tr("Only this stretch counts now.")
                                       : tr("Cut into %n clips.", nullptr, static_cast<int>(ids.size()));
            });
        });
    });
    dialog->open();
}

void ArrivalsPage::ask_who() {
    const auto* r = chosen();
    if (!r || !r->clip.quality || r->clip.id == session_.finding->running()) return;
    auto* dialog = new MeantDialog(session_, r->clip, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &MeantDialog::meant, this, [this, id = r->clip.id](const MeantPerson& who) {
        session_.background->run<Result<bool>>(
            this,
            [lib = session_.library, id, who](std::stop_token) {
                return lib->together([&]() -> Result<bool> {
                    if (auto ok = lib->clips().set_meant(id, who); !ok) return ok;
                    return lib->clips().set_state(id, ClipState::waiting, "");
                });
            },
            [this](const Result<bool>& ok) {
                if (ok)
                    form_->notice().say(tr("The body is looked for again, in the one you pointed to."));
                else
                    form_->notice().problem(text::error(ok.error()));
                session_.workspace->touched(0);
            });
    });
    dialog->open();
}

void ArrivalsPage::set_by_hand() {
    const auto* r = chosen();
    if (!r || !by_hand(*r)) return;
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, forms = session_.forms(), id = r->clip.id](const std::stop_token& stop) {
            return begin_by_hand(*lib, forms, id, stop);
        },
        [this, id = r->clip.id](const Result<bool>& ok) {
            if (!ok) return form_->notice().problem(text::error(ok.error()));
            session_.workspace->touched(id);
            session_.workspace->go(QStringLiteral("ground"), {id});
        });
}

/// Nothing that can be measured was found.
bool ArrivalsPage::by_hand(const ClipRow& r) const {
    return r.clip.id != session_.finding->running() && (r.clip.state == ClipState::failed || r.clip.state == ClipState::asked) &&
           (!r.clip.quality || r.clip.quality->found < 0.25) && !session_.library->read_only();
}

void ArrivalsPage::show_keeping() {
    auto* dialog = new KeepingDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &KeepingDialog::changed, this, &ArrivalsPage::refresh);
    dialog->open();
}

/// The clip that is highlighted, of tonight's or in the table.
const ClipRow* ArrivalsPage::chosen() const {
    if (tabs_->currentIndex() != 0) return row_at(table_->currentIndex().row());
    const auto it = std::find_if(rows().begin(), rows().end(), [id = evening_->current()](const ClipRow& r) { return r.clip.id == id; });
    return it == rows().end() ? nullptr : &*it;
}

const ClipRow* ArrivalsPage::row_at(int shown) const {
    return clips_->at(found_->mapToSource(found_->index(shown, 0)));
}

void ArrivalsPage::choose(int row) {
    const auto shown = found_->mapFromSource(clips_->index(row, 0));
    if (shown.isValid()) table_->selectRow(shown.row());
}

/// What is searched for, asked of the whole library where the list does not hold all of it.
ClipQuery ArrivalsPage::query() const {
    ClipQuery q;
    if (all_ <= static_cast<std::int64_t>(q.most)) return q;
    const QLocale locale = locale_now();
    for (const QString& w : search_->text().simplified().split(QLatin1Char(' '), Qt::SkipEmptyParts)) {
        ClipQuery::Word word;
        word.text = w.toStdString();
        for (const auto& m : session_.movements.all())
            if (said(m.name).contains(w, Qt::CaseInsensitive)) word.movements.push_back(m.id);
        for (const auto& [state, name] : {std::pair{ClipState::tracked, tr("to be reviewed")},
                                          {ClipState::reviewed, tr("reviewed")},
                                          {ClipState::failed, tr("cannot be judged")},
                                          {ClipState::asked, tr("whose is it?")},
                                          {ClipState::waiting, tr("waiting for its turn")}})
            if (name.contains(w, Qt::CaseInsensitive)) word.states.push_back(state);
        for (int month = 1; month <= 12 && w.size() >= 3; ++month)
            if (locale.standaloneMonthName(month).startsWith(w, Qt::CaseInsensitive))
                word.day_part = QStringLiteral("-%1-").arg(month, 2, 10, QLatin1Char('0')).toStdString();
        q.words.push_back(std::move(word));
    }
    return q;
}

void ArrivalsPage::show_found() {
    if (!search_->text().isEmpty()) tabs_->setCurrentIndex(1);
    found_->look_for(search_->text());
    show_chosen();
}

void ArrivalsPage::show_chosen() {
    const auto* r = chosen();
    open_->setEnabled(r && (r->clip.state == ClipState::tracked || r->clip.state == ClipState::reviewed));
    change_->setEnabled(r && r->clip.id != session_.finding->running());
    parts_->setEnabled(r && r->clip.quality && r->clip.id != session_.finding->running());
    meant_->setVisible(r && r->clip.quality && r->clip.id != session_.finding->running() &&
                       std::any_of(r->clip.quality->limits.begin(), r->clip.quality->limits.end(),
                                   [](const Limit& l) { return l.kind == LimitKind::several_people; }));
    hand_->setVisible(r && by_hand(*r));
    parts_->setVisible(!hand_->isVisibleTo(this)); // nothing to cut where nothing was found
    QString about;
    const bool limited = r && r->clip.quality && !r->clip.quality->limits.empty();
    strip_->show_limits(limited ? r->clip.quality->limits : std::vector<Limit>());
    if (r && r->clip.state == ClipState::failed && r->clip.problem.starts_with("limit: ")) {
        about = text::limits(r->clip.quality->limits);
    } else if (r && r->clip.state == ClipState::failed) {
        about = text::reason(QString::fromStdString(r->clip.problem));
        if (limited) about += QLatin1Char('\n') + text::limits(r->clip.quality->limits);
    } else if (limited) {
        about = text::limits(r->clip.quality->limits);
    } else if (r && r->clip.quality) {
        const auto& q = *r->clip.quality;
        QStringList parts{tr("Body found on %1 % of the frames").arg(QLocale().toString(100 * q.found, 'f', q.found < 0.9995 ? 1 : 0)),
                          tr("%1 frames/s").arg(QLocale().toString(q.frames_per_s, 'f', 0)),
                          q.vertical_seen ? tr("true vertical seen in the room")
                                          : tr("no upright edges seen: the camera is taken as level, and its error is larger"),
                          q.neutral_seen ? tr("quiet standing found") : tr("no quiet standing: figures that need it are left out")};
        if (r->clip.state == ClipState::asked) parts.removeLast(); // told once it is judged
        about = parts.join(QStringLiteral(" · "));
    } else if (r && r->clip.state == ClipState::waiting) {
        about = r->clip.id == session_.finding->running() ? tr("The body is being looked for on every frame.")
                                                          : tr("Waiting for its turn: the body has not been looked for yet.");
    }
    detail_->setStyleSheet(
        QStringLiteral("color: %1;")
            .arg((r && r->clip.state == ClipState::failed ? session_.theme.palette.outside : session_.theme.palette.faint).name()));
    detail_->setText(about);
    form_->show_clip(r, rows(), people_);
}

/// The review of the chosen clip; of one that is asked about, once it is judged as the form beside it says.
void ArrivalsPage::open_or_confirm() {
    const auto* r = chosen();
    if (r && r->clip.state == ClipState::asked)
        form_->confirm(true);
    else
        open_chosen();
}

void ArrivalsPage::confirm_or_open() {
    if (tabs_->currentIndex() == 0) return evening_->open_current();
    const auto* r = chosen();
    if (!r) return;
    if (r->clip.state == ClipState::asked || r->clip.state == ClipState::waiting)
        form_->confirm();
    else
        open_chosen();
}

/// After a clip was confirmed, the next one down the list that is asked about; from the top where there is none below.
void ArrivalsPage::go_to_next_asked(qint64 but) {
    tabs_->setCurrentIndex(1);
    const int from = std::max(0, table_->currentIndex().row()), all = found_->rowCount();
    for (int k = 1; k <= all; ++k) {
        const int i = (from + k) % all;
        const auto& c = row_at(i)->clip;
        if (c.state == ClipState::asked && c.id != but) return table_->selectRow(i);
    }
}

void ArrivalsPage::refresh() {
    session_.background->run<Result<Listed>>(
        this, [lib = session_.library, q = query()](std::stop_token) { return list_clips(*lib, q); },
        [this](Result<Listed> l) {
            if (l) all_ = l->all;
            if (l)
                show_rows(std::move(l->rows), l->people);
            else
                form_->notice().problem(text::error(l.error()), tr("Try again"), [this] { refresh(); });
        });
}

void ArrivalsPage::show_rows(std::vector<ClipRow> fresh, const std::vector<Person>& people) {
    const auto* before = row_at(table_->currentIndex().row());
    const qint64 chosen = before ? before->clip.id : 0;
    clips_->set_rows(std::move(fresh));
    show_found();
    for (std::size_t i = 0; i < rows().size(); ++i)
        if (rows()[i].clip.id == chosen) choose(static_cast<int>(i));
    if (!table_->currentIndex().isValid() && found_->rowCount() > 0) table_->selectRow(0);
    search_->setVisible(!rows().empty() || all_ > 0);
    more_->setVisible(all_ > static_cast<std::int64_t>(rows().size()));
    more_->setText(tr("%1 of %2 clips are listed: search for the others.").arg(rows().size()).arg(all_));
    const bool none = rows().empty() && all_ == 0;
    welcome_->setVisible(none);
    tabs_->setVisible(!none);
    form_->setVisible(!none);
    show_chosen();
    people_ = people;
    if (const qint64 id = std::exchange(wanted_, 0); id != 0) show_clip(id);
    show_chosen();
    session_.finding->go_on();
}

QString ArrivalsPage::state_of(const ClipRow& r) const {
    QString state;
    switch (r.clip.state) {
    case ClipState::waiting:
        state = r.clip.id == session_.finding->running() ? tr("finding the body …") : tr("waiting for its turn");
        break;
    case ClipState::tracked:
        state = tr("to be reviewed");
        break;
    case ClipState::reviewed:
        state = tr("reviewed");
        break;
    case ClipState::asked:
        state = r.clip.person == 0 ? tr("whose is it?") : tr("which movement?");
        break;
    case ClipState::failed:
        state = r.clip.problem == "cancelled" ? tr("stopped") : tr("cannot be judged");
        break;
    }
    const bool judged = r.clip.state == ClipState::tracked || r.clip.state == ClipState::reviewed;
    return r.clip.pair != 0 && judged ? tr("%1, as a pair").arg(state) : state;
}

QColor ArrivalsPage::ink_of(const ClipRow& r) const {
    const Palette& p = session_.theme.palette;
    switch (r.clip.state) {
    case ClipState::waiting:
        return p.faint;
    case ClipState::tracked:
        return p.accent;
    case ClipState::asked:
        return p.edge;
    case ClipState::failed:
        return p.outside;
    case ClipState::reviewed:
        break;
    }
    return p.ink;
}

} // namespace bevel::ui
