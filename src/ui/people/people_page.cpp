#include "ui/people/people_page.h"
#include "core/files.h"
#include "core/movement/movement.h"
#include "desk/open_review.h"
#include "store/bundle.h"
#include "ui/people/limit_dialog.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/left_edit.h"
#include "ui/text/data_words.h"
#include "ui/text/practice_words.h"
#include <charconv>
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
#include <QTableWidget>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

QString day_words(const std::string& iso) {
    return iso.empty() ? QString() : text::day(iso);
}

/// A change to a person, to be done and undone.
class PersonStep : public QUndoCommand {
public:
    PersonStep(const QString& what, std::function<void(bool)> apply) : apply_(std::move(apply)) { setText(what); }
    void redo() override { apply_(true); }
    void undo() override { apply_(false); }

private:
    std::function<void(bool)> apply_;
};

} // namespace

PeoplePage::PeoplePage(Session& session, QWidget* parent) : Place(session, "people", parent) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("People"));
    build();
    connect(session_.workspace, &Workspace::changed, this, [this] {
        if (isVisible() && sheet_) load_sheet();
    });
}

void PeoplePage::build() {
    auto* side = new QWidget;
    side->setFixedWidth(session_.theme.wide(230));
    title_ = new QLabel(tr("People"));
    title_->setObjectName(QStringLiteral("title"));
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("searchPeople"));
    search_->setPlaceholderText(tr("Search people"));
    search_->setAccessibleName(tr("Search people"));
    search_->setClearButtonEnabled(true);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("people"));
    list_->setAccessibleName(tr("People"));
    list_->setSpacing(2);
    auto* add = new QPushButton(tr("Add a person …"));
    add->setObjectName(QStringLiteral("addPerson"));
    count_ = new QLabel;
    count_->setObjectName(QStringLiteral("faint"));
    auto* left = new QVBoxLayout(side);
    left->setContentsMargins(0, 0, 0, 0);
    left->addWidget(title_);
    left->addWidget(search_);
    left->addWidget(list_, 1);
    left->addWidget(add);
    left->addWidget(count_);
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("personTabs"));
    tabs_->setAccessibleName(tr("About the person"));
    tabs_->addTab(build_change(), tr("What changed"));
    record_rows_ = new RowsModel<RecordLine>({{tr("Day"), [](const RecordLine& l) { return day_words(l.day); }},
                                              {tr("What"), [this](const RecordLine& l) { return record_words(l, session_).first; }},
                                              {tr("Words"), [this](const RecordLine& l) { return record_words(l, session_).second; }}});
    record_ = table_of(record_rows_, QStringLiteral("record"), tr("Record"), {2});
    record_->setWordWrap(true);
    record_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    record_->setToolTip(tr("Enter or a double click opens the clip"));
    connect(record_, &QTableView::activated, this, [this](const QModelIndex& i) {
        const RecordLine* l = record_rows_->at(i);
        if (l && l->clip != 0) session_.workspace->go(QStringLiteral("review"), {l->clip});
    });
    tabs_->addTab(record_, tr("Record"));
    letters_ = new QListWidget;
    letters_->setObjectName(QStringLiteral("personLetters"));
    letters_->setAccessibleName(tr("Letters"));
    letters_->setWordWrap(true);
    letters_->setSpacing(3);
    letters_->setToolTip(tr("Enter or a double click opens the letter"));
    connect(letters_, &QListWidget::itemActivated, this,
            [this](const QListWidgetItem* it) { session_.workspace->go(QStringLiteral("letter"), {it->data(Qt::UserRole).toLongLong()}); });
    tabs_->addTab(letters_, tr("Letters"));
    tabs_->addTab(build_limits(), tr("Limits and agreements"));
    tabs_->addTab(build_facts(), tr("Person"));
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("faint"));
    words_->setWordWrap(true);
    auto* right = new QVBoxLayout;
    right->addWidget(tabs_, 1);
    right->addWidget(words_);
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(side);
    all->addLayout(right, 1);
    empty_ = new EmptyState(tr("Nobody yet"), tr("People come with their first clip, or are added here."), tr("Add a person …"));
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
    connect(empty_->button(), &QPushButton::clicked, this, &PeoplePage::add_person);
    connect(add, &QPushButton::clicked, this, &PeoplePage::add_person);
    connect(search_, &QLineEdit::textChanged, this, [this](const QString& words) {
        for (int i = 0; i < list_->count(); ++i) list_->item(i)->setHidden(!list_->item(i)->text().contains(words, Qt::CaseInsensitive));
    });
    connect(list_, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* it) {
        if (it && !filling_) show_person(it->data(Qt::UserRole).toLongLong());
    });
}

QWidget* PeoplePage::build_change() {
    auto* w = new QWidget;
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("changeMovement"));
    movement_->setAccessibleName(tr("Movement"));
    const auto figure = [this](const FigureTrend& t, const KeptFigure* p) {
        return p ? text::with_sigma(p->value, std::hypot(p->own, p->of_clip), QString::fromStdString(t.points.back().unit),
                                    session_.settings.units(Motion{}))
                 : tr("–");
    };
    change_rows_ = new RowsModel<FigureTrend>({{tr("Figure"), [this](const FigureTrend& t) { return name_of(t, session_); }},
                                               {tr("Before"),
                                                [figure](const FigureTrend& t) {
                                                    const auto& line = newest_line(t);
                                                    return figure(t, line.size() > 1 ? &t.points[line[line.size() - 2]] : nullptr);
                                                }},
                                               {tr("Now"), [figure](const FigureTrend& t) { return figure(t, &t.points.back()); }},
                                               {tr("Change"), [this](const FigureTrend& t) { return change_of(t, session_); },
                                                [this](const FigureTrend& t) {
                                                    if (!t.last || t.last->turn == Turn::none) return QColor();
                                                    return t.last->turn == Turn::better ? session_.theme.palette.inside
                                                                                        : session_.theme.palette.outside;
                                                }}});
    changes_ = table_of(change_rows_, QStringLiteral("changes"), tr("Figures and what became of them"), {0});
    trend_ = new TrendView(session_);
    auto* box = new QVBoxLayout(w);
    box->setContentsMargins(8, 8, 8, 8);
    other_side_ = new QCheckBox(tr("with the other side"));
    other_side_->setObjectName(QStringLiteral("otherSide"));
    other_side_->setToolTip(tr("Left against right over the days"));
    beside_ = new QPushButton(tr("Before and after …"));
    beside_->setObjectName(QStringLiteral("beforeAfter"));
    beside_->setToolTip(tr("The first and the last clip of the line, side by side at the same moment of the movement"));
    auto* below = new QHBoxLayout;
    below->addWidget(other_side_);
    below->addStretch(1);
    below->addWidget(beside_);
    box->addWidget(movement_);
    box->addWidget(changes_, 3);
    box->addWidget(trend_, 2);
    box->addLayout(below);
    connect(other_side_, &QCheckBox::toggled, this, &PeoplePage::show_trend);
    connect(beside_, &QPushButton::clicked, this, &PeoplePage::side_by_side);
    connect(movement_, &QComboBox::currentIndexChanged, this, [this] {
        if (!filling_) fill_changes();
    });
    connect(changes_->selectionModel(), &QItemSelectionModel::currentChanged, this, &PeoplePage::show_trend);
    connect(trend_, &TrendView::wanted, this, [this](qint64 clip) { session_.workspace->go(QStringLiteral("review"), {clip}); });
    return w;
}

QWidget* PeoplePage::build_limits() {
    auto* w = new QWidget;
    auto* about = new QLabel(tr("What was agreed turns a fault into a note, on the days it holds. Bevel keeps no diagnosis."));
    about->setObjectName(QStringLiteral("faint"));
    about->setWordWrap(true);
    limits_ = new QListWidget;
    limits_->setObjectName(QStringLiteral("limits"));
    limits_->setAccessibleName(tr("Limits and agreements"));
    limits_->setWordWrap(true);
    limits_->setSpacing(4);
    auto* row = new QHBoxLayout;
    auto button = [&](const char* name, const QString& label, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        connect(b, &QPushButton::clicked, this, go);
        row->addWidget(b);
        return b;
    };
    button("newLimit", tr("New …"), [this] {
        if (!sheet_) return;
        Agreement a;
        a.person = sheet_->person.id;
        auto* d = new LimitDialog(session_, a, this);
        d->setAttribute(Qt::WA_DeleteOnClose);
        connect(d, &LimitDialog::agreed, this, &PeoplePage::keep_limit);
        d->open();
    });
    edit_ = button("editLimit", tr("Change …"), [this] { change_limit(); });
    end_ = button("endLimit", tr("Ends today"), [this] { end_limit(); });
    row->addStretch(1);
    auto* box = new QVBoxLayout(w);
    box->addWidget(about);
    auto* uneven_title =
        new QLabel(tr("Left and right differ in the last clip. Only a suggestion: what it means is for you and the student to say."));
    uneven_title->setObjectName(QStringLiteral("faint"));
    uneven_title->setWordWrap(true);
    uneven_ = new QListWidget;
    uneven_->setObjectName(QStringLiteral("uneven"));
    uneven_->setAccessibleName(tr("Left against right"));
    uneven_->setMaximumHeight(session_.theme.wide(120));
    take_up_ = new QPushButton(tr("Agree on it …"));
    take_up_->setObjectName(QStringLiteral("takeUp"));
    take_up_->setEnabled(false);
    connect(uneven_, &QListWidget::currentRowChanged, this, [this](int at) { take_up_->setEnabled(at >= 0); });
    connect(take_up_, &QPushButton::clicked, this, [this] { take_up(uneven_->currentRow()); });
    box->addWidget(limits_, 1);
    box->addLayout(row);
    box->addWidget(uneven_title);
    box->addWidget(uneven_);
    box->addWidget(take_up_, 0, Qt::AlignLeft);
    box->addWidget(build_right());
    connect(limits_, &QListWidget::currentRowChanged, this, [this](int at) {
        edit_->setEnabled(at >= 0);
        end_->setEnabled(at >= 0);
    });
    connect(limits_, &QListWidget::itemActivated, this, [this] { change_limit(); });
    return w;
}

QWidget* PeoplePage::build_facts() {
    auto* inner = new QWidget;
    auto line = [&](const char* name, const QString& hint) {
        auto* e = new QLineEdit;
        e->setObjectName(QLatin1String(name));
        e->setPlaceholderText(hint);
        return e;
    };
    name_ = line("personName", QString());
    alias_ = line("personAlias", tr("as it may be shown to others"));
    consent_ = line("personConsent", tr("when, and to what: kept at home, shown to the group …"));
    email_ = line("personEmail", tr("where the mail program is to send letters"));
    language_ = new QComboBox;
    language_->setObjectName(QStringLiteral("personLanguage"));
    language_->addItem(tr("as the program speaks"), QString());
    for (const auto& code : languages()) language_->addItem(language_name(code), code);
    connect(language_, &QComboBox::activated, this, &PeoplePage::facts_changed);
    lengths_ = new QComboBox;
    lengths_->setObjectName(QStringLiteral("personLengths"));
    lengths_->setAccessibleName(tr("Lengths in letters"));
    for (const auto& [label, id] : {std::pair{tr("lengths as shown here"), ""}, {tr("in centimetres"), "cm"}, {tr("in inches"), "in"}})
        lengths_->addItem(label, QString::fromLatin1(id));
    ladder_ = new QComboBox;
    ladder_->setObjectName(QStringLiteral("personLadder"));
    ladder_->setToolTip(tr("One step at a time; one step down after a fall or pain"));
    ladder_->addItem(tr("not known"), 0);
    for (int n = 1; n <= balance_steps; ++n) ladder_->addItem(tr("%1: %2").arg(n).arg(text::balance_step(n)), n);
    for (auto* b : {lengths_, ladder_}) connect(b, &QComboBox::activated, this, &PeoplePage::facts_changed);
    height_ = new QDoubleSpinBox;
    height_->setObjectName(QStringLiteral("personHeight"));
    height_->setRange(80, 250);
    height_->setDecimals(1);
    height_->setSuffix(tr(" cm"));
    height_->setKeyboardTracking(false);
    height_->setToolTip(tr("From today on; clips of earlier days keep the height of their day"));
    auto text_field = [&](const char* name, const QString& hint) {
        auto* e = new LeftEdit;
        e->setObjectName(QLatin1String(name));
        e->setPlaceholderText(hint);
        e->setTabChangesFocus(true);
        e->setFixedHeight(session_.theme.wide(74));
        connect(e, &LeftEdit::left, this, &PeoplePage::facts_changed);
        return e;
    };
    goals_ = text_field("personGoals", tr("in their own words"));
    notes_ = text_field("personNotes", tr("what to keep in mind"));
    taught_ = new QTableWidget(0, 3);
    taught_->setObjectName(QStringLiteral("taught"));
    taught_->setAccessibleName(tr("Movements practised"));
    taught_->setHorizontalHeaderLabels({tr("Movement"), tr("Version"), tr("Taught up to")});
    taught_->verticalHeader()->hide();
    taught_->verticalHeader()->setDefaultSectionSize(session_.theme.wide(32));
    taught_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    taught_->setMinimumHeight(session_.theme.wide(150));
    auto* form = new QFormLayout(inner);
    form->addRow(tr("Name"), name_);
    form->addRow(tr("Alias"), alias_);
    form->addRow(tr("Height"), height_);
    auto* letters = new QHBoxLayout;
    letters->addWidget(language_);
    letters->addWidget(lengths_);
    letters->addStretch(1);
    form->addRow(tr("Letters in"), letters);
    form->addRow(tr("Mail"), email_);
    form->addRow(tr("Goals"), goals_);
    form->addRow(tr("Notes"), notes_);
    form->addRow(tr("Consent"), consent_);
    form->addRow(tr("Balance"), ladder_);
    form->addRow(tr("Practises"), taught_);
    for (int row = 0; row < form->rowCount(); ++row) {
        const auto* label = qobject_cast<QLabel*>(form->itemAt(row, QFormLayout::LabelRole)->widget());
        auto* field = form->itemAt(row, QFormLayout::FieldRole)->widget();
        if (label && !field) field = language_;
        if (label && field && field->accessibleName().isEmpty()) field->setAccessibleName(label->text());
    }
    for (auto* e : {name_, alias_, consent_, email_})
        connect(e, &QLineEdit::editingFinished, this, [this, e] { e == name_ ? person_changed() : facts_changed(); });
    connect(height_, &QDoubleSpinBox::valueChanged, this, [this] {
        if (!filling_) height_changed();
    });
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("Person"));
    scroll->setWidget(inner);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return scroll;
}

void PeoplePage::open(Ref ref) {
    setFocus();
    if (ref.person != 0) return load_people(ref.person);
    const qint64 clip = ref.clip != 0 ? ref.clip : session_.workspace->clip();
    if (clip == 0 || sheet_) {
        if (ref.clip == 0) return load_people(shown());
    }
    session_.background->run<Result<Clip>>(
        this, [lib = session_.library, clip](std::stop_token) { return lib->clips().get(clip); },
        [this](const Result<Clip>& c) { load_people(c ? c->person : 0); });
}

void PeoplePage::load_people(qint64 choose) {
    session_.background->run<Result<std::vector<Person>>>(
        this, [lib = session_.library](std::stop_token) { return lib->people().all(); },
        [this, asked = choose, before = wanted_](const Result<std::vector<Person>>& people) {
            if (!people) return problem(people.error());
            const qint64 chosen = wanted_ != before ? wanted_ : asked; // somebody was chosen meanwhile
            people_ = *people;
            either_->setCurrentIndex(people_.empty() ? 0 : 1);
            filling_ = true;
            list_->clear();
            int at = people_.empty() ? -1 : 0;
            for (const auto& p : people_) {
                auto* it = new QListWidgetItem(QString::fromStdString(p.name), list_);
                it->setData(Qt::UserRole, static_cast<qint64>(p.id));
                if (p.id == chosen) at = list_->count() - 1;
            }
            count_->setText(list_->count() == 1 ? tr("one person") : tr("%1 people").arg(list_->count()));
            filling_ = false;
            list_->setCurrentRow(at);
            if (at >= 0) show_person(list_->item(at)->data(Qt::UserRole).toLongLong());
        });
}

void PeoplePage::show_person(qint64 id) {
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->data(Qt::UserRole).toLongLong() == id && list_->currentRow() != i) return list_->setCurrentRow(i);
    if (shown() != id) undo().clear();
    wanted_ = id;
    ++measuring_;
    load_sheet();
}

void PeoplePage::load_sheet() {
    const int run = ++run_;
    session_.background->run<Result<PersonSheet>>(
        this, [lib = session_.library, id = wanted_](std::stop_token) -> Result<PersonSheet> { return load_person(*lib, id); },
        [this, run](Result<PersonSheet> s) {
            if (run != run_) return; // another was asked for meanwhile
            if (!s) return problem(s.error());
            sheet_ = std::move(*s);
            fill();
            measure_next();
        });
}

/// Clips that were reviewed before figures were kept are measured one after the other, while the sheet is looked at.
void PeoplePage::measure_next() {
    if (!sheet_ || sheet_->unmeasured.empty() || session_.library->read_only()) {
        words_->setText(QString());
        return;
    }
    words_->setText(tr("%n earlier clip(s) are being measured …", nullptr, static_cast<int>(sheet_->unmeasured.size())));
    const int run = ++measuring_;
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, forms = session_.forms(), clip = sheet_->unmeasured.front()](std::stop_token) -> Result<bool> {
            const auto open = load_review(*lib, forms, clip, {});
            // What cannot be judged has no figures, and that is kept too.
            return lib->records().keep_figures(clip, !open            ? std::vector<KeptFigure>()
                                                     : (*open)->whole ? figures_of(*(*open)->whole)
                                                                      : figures_of(*(*open)->review));
        },
        [this, run](const Result<bool>& ok) {
            if (run != measuring_) return;
            if (!ok) return problem(ok.error());
            load_sheet();
        });
}

void PeoplePage::fill() {
    title_->setText(tr("People"));
    filling_ = true;
    const QString had = movement_->currentData().toString();
    movement_->clear();
    std::vector<std::string> seen;
    for (const auto& t : sheet_->trends) {
        const std::string& id = t.points.front().movement;
        if (std::find(seen.begin(), seen.end(), id) != seen.end()) continue;
        seen.push_back(id);
        const auto m = session_.movement(id);
        movement_->addItem(m ? said(m->name) : QString::fromStdString(id), QString::fromStdString(id));
    }
    movement_->setCurrentIndex(std::max(0, movement_->findData(had)));
    movement_->setVisible(movement_->count() > 0);
    filling_ = false;
    fill_changes();
    fill_record();
    fill_letters();
    fill_limits();
    fill_uneven();
    fill_right();
    fill_facts();
    emit filled();
}

void PeoplePage::fill_changes() {
    const std::string movement = movement_->currentData().toString().toStdString();
    std::vector<std::size_t> rows;
    for (std::size_t i = 0; i < sheet_->trends.size(); ++i)
        if (sheet_->trends[i].points.front().movement == movement) rows.push_back(i);
    const auto weight = [&](std::size_t i) { // what changed first, then what is outside its band, from the ground up
        const auto& t = sheet_->trends[i];
        const auto& p = t.points.back();
        const bool outside = (p.low && p.value < *p.low) || (p.high && p.value > *p.high);
        const auto* info = session_.catalogue.find(QString::fromStdString(p.measure));
        const int first = t.last && t.last->turn != Turn::none                 ? 0
                          : t.since_first && t.since_first->turn != Turn::none ? 1
                          : outside                                            ? 2
                          : t.last                                             ? 3
                                                                               : 4;
        return first * 10 + (info ? static_cast<int>(info->family) : 9);
    };
    std::stable_sort(rows.begin(), rows.end(), [&](std::size_t a, std::size_t b) { return weight(a) < weight(b); });
    std::vector<FigureTrend> shown;
    for (const auto i : rows) shown.push_back(sheet_->trends[i]);
    change_rows_->set_rows(std::move(shown));
    if (!rows.empty()) changes_->setCurrentIndex(change_rows_->index(0, 0));
    show_trend(); // the same row may be another figure now
}

const FigureTrend* PeoplePage::chosen_trend() const {
    return sheet_ ? change_rows_->at(changes_->currentIndex()) : nullptr;
}

void PeoplePage::show_trend() {
    const FigureTrend* t = chosen_trend();
    const FigureTrend* other = nullptr;
    if (t && !t->points.back().side.empty())
        for (const auto& x : sheet_->trends)
            if (x.points.back().movement == t->points.back().movement && x.points.back().check == t->points.back().check &&
                !x.points.back().side.empty() && x.points.back().side != t->points.back().side)
                other = &x;
    other_side_->setEnabled(other != nullptr);
    beside_->setEnabled(t && newest_line(*t).size() > 1);
    trend_->show_trend(t ? std::optional(*t) : std::nullopt, other && other_side_->isChecked() ? std::optional(*other) : std::nullopt);
}

/// The last clip of the line with its first beside it.
void PeoplePage::side_by_side() {
    const FigureTrend* chosen = chosen_trend();
    if (!chosen) return;
    const FigureTrend& t = *chosen;
    const auto& line = newest_line(t);
    Ref ref;
    ref.clip = t.points[line.back()].clip;
    ref.beside = t.points[line.front()].clip;
    session_.workspace->go(QStringLiteral("review"), ref);
}

void PeoplePage::fill_uneven() {
    uneven_->clear();
    const Units units = session_.settings.units(Motion{});
    for (const auto& a : sheet_->uneven) {
        const QString unit = QString::fromStdString(a.unit);
        const auto m = session_.movement(a.movement);
        uneven_->addItem(tr("%1, %2: left %3, right %4 (difference ± %5)")
                             .arg(m ? said(m->name) : QString::fromStdString(a.movement), text::check_name(a.check, session_.catalogue),
                                  text::figure(a.left, unit, units), text::figure(a.right, unit, units),
                                  text::figure(a.sigma, unit, units)));
    }
    if (uneven_->count() == 0) {
        auto* none = new QListWidgetItem(tr("No difference beyond its error."), uneven_);
        none->setFlags(Qt::NoItemFlags);
    }
    take_up_->setEnabled(false);
}

/// The smaller side sets the size: a band that lets it be, to be changed and given a reason.
void PeoplePage::take_up(int row) {
    if (!sheet_ || row < 0 || row >= static_cast<int>(sheet_->uneven.size())) return;
    const Asymmetry& a = sheet_->uneven[static_cast<std::size_t>(row)];
    Agreement made;
    made.person = sheet_->person.id;
    made.check = a.check;
    for (const auto& t : sheet_->trends) {
        const auto& p = t.points.back();
        if (p.check != a.check || p.movement != a.movement) continue;
        made.low = p.low, made.high = p.high;
        if (p.low) made.low = std::min(*p.low, std::min(a.left, a.right));
        if (p.high) made.high = std::max(*p.high, std::max(a.left, a.right));
    }
    auto* d = new LimitDialog(session_, made, this);
    d->setAttribute(Qt::WA_DeleteOnClose);
    connect(d, &LimitDialog::agreed, this, &PeoplePage::keep_limit);
    d->open();
}

void PeoplePage::fill_letters() {
    letters_->clear();
    for (const auto& l : sheet_->letters) {
        const auto m = session_.movement(l.movement);
        QString words = m ? said(m->name) : QString::fromStdString(l.movement);
        switch (l.state) {
        case LetterState::draft:
            words += tr(": a draft");
            break;
        case LetterState::written:
            words += tr(": saved on %1, not yet said to be sent").arg(day_words(l.sent_on));
            break;
        case LetterState::sent:
            words += tr(": sent on %1").arg(day_words(l.sent_on));
            break;
        case LetterState::answered:
            words += tr(": sent on %1, answered on %2").arg(day_words(l.sent_on), day_words(l.answered_on));
            break;
        }
        if (!l.review_on.empty())
            words += QLatin1Char('\n') + (l.newer_clip_on.empty() ? tr("to be looked at again on %1").arg(day_words(l.review_on))
                                                                  : tr("a new clip came on %1").arg(day_words(l.newer_clip_on)));
        auto* it = new QListWidgetItem(words, letters_);
        it->setData(Qt::UserRole, static_cast<qint64>(l.clip));
    }
}

void PeoplePage::fill_record() {
    record_rows_->set_rows(sheet_->record);
}

void PeoplePage::fill_limits() {
    const int at = limits_->currentRow();
    limits_->clear();
    const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
    for (const auto& a : sheet_->agreements) {
        QString words = text::agreement(a, session_.catalogue, session_.settings.units(Motion{}));
        const bool over = !a.until_day.empty() && a.until_day < today;
        if (over) words += QLatin1Char(' ') + tr("(over)");
        auto* it = new QListWidgetItem(words, limits_);
        it->setData(Qt::UserRole, static_cast<qint64>(a.id));
        if (over) it->setForeground(session_.theme.palette.faint);
    }
    limits_->setCurrentRow(std::min(at, limits_->count() - 1));
    edit_->setEnabled(limits_->currentRow() >= 0);
    end_->setEnabled(limits_->currentRow() >= 0);
}

void PeoplePage::fill_facts() {
    filling_ = true;
    const auto& p = sheet_->person;
    const auto& f = sheet_->facts;
    name_->setText(QString::fromStdString(p.name));
    alias_->setText(QString::fromStdString(f.alias));
    consent_->setText(QString::fromStdString(f.consent));
    email_->setText(QString::fromStdString(f.email));
    language_->setCurrentIndex(std::max(0, language_->findData(QString::fromStdString(f.language))));
    lengths_->setCurrentIndex(std::max(0, lengths_->findData(QString::fromStdString(f.lengths))));
    ladder_->setCurrentIndex(std::max(0, ladder_->findData(f.balance_step)));
    height_->setValue(100 * p.stature_m);
    goals_->setPlainText(QString::fromStdString(f.goals));
    notes_->setPlainText(QString::fromStdString(p.notes));
    // What is practised: what was filmed, and what else is written down.
    std::vector<Taught> rows = f.taught;
    for (const auto& l : sheet_->record)
        if (l.what == RecordLine::What::clip && !l.movement.empty() &&
            std::none_of(rows.begin(), rows.end(), [&](const Taught& t) { return t.movement == l.movement; }))
            rows.push_back({l.movement, "", ""});
    taught_->setRowCount(static_cast<int>(rows.size()));
    for (int r = 0; r < taught_->rowCount(); ++r) {
        const auto& t = rows[static_cast<std::size_t>(r)];
        const auto m = session_.movement(t.movement);
        auto* name = new QTableWidgetItem(m ? said(m->name) : QString::fromStdString(t.movement));
        name->setData(Qt::UserRole, QString::fromStdString(t.movement));
        name->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
        taught_->setItem(r, 0, name);
        auto combo = [&](int column, const QString& whole, const std::vector<std::pair<QString, std::string>>& all,
                         const std::string& now) {
            auto* b = new QComboBox;
            b->addItem(whole, QString());
            for (const auto& [label, id] : all) b->addItem(label, QString::fromStdString(id));
            b->setCurrentIndex(std::max(0, b->findData(QString::fromStdString(now))));
            b->setAccessibleName(column == 1 ? tr("Version of %1").arg(name->text()) : tr("%1: taught up to").arg(name->text()));
            connect(b, &QComboBox::activated, this, &PeoplePage::facts_changed);
            taught_->setCellWidget(r, column, b);
        };
        std::vector<std::pair<QString, std::string>> versions, phases;
        if (m) {
            for (const auto& v : m->versions) versions.emplace_back(said(v.name), v.name);
            for (const auto& ph : m->phases) phases.emplace_back(said(ph.name), ph.id);
        }
        combo(1, tr("as it is"), versions, t.version);
        combo(2, tr("all of it"), phases, t.up_to);
    }
    filling_ = false;
}

void PeoplePage::facts_changed() {
    if (filling_ || !sheet_) return;
    PersonFacts now = sheet_->facts;
    now.alias = alias_->text().trimmed().toStdString();
    now.consent = consent_->text().trimmed().toStdString();
    now.goals = goals_->toPlainText().trimmed().toStdString();
    now.email = email_->text().trimmed().toStdString();
    now.language = language_->currentData().toString().toStdString();
    now.lengths = lengths_->currentData().toString().toStdString();
    now.balance_step = ladder_->currentData().toInt();
    now.taught.clear();
    for (int r = 0; r < taught_->rowCount(); ++r) {
        const auto at = [&](int c) { return qobject_cast<QComboBox*>(taught_->cellWidget(r, c))->currentData().toString().toStdString(); };
        if (!at(1).empty() || !at(2).empty())
            now.taught.push_back({taught_->item(r, 0)->data(Qt::UserRole).toString().toStdString(), at(1), at(2)});
    }
    if (notes_->toPlainText().trimmed().toStdString() != sheet_->person.notes) person_changed();
    const auto same = [](const PersonFacts& a, const PersonFacts& b) {
        const auto taught = [](const Taught& x, const Taught& y) {
            return x.movement == y.movement && x.version == y.version && x.up_to == y.up_to;
        };
        return a.alias == b.alias && a.language == b.language && a.lengths == b.lengths && a.balance_step == b.balance_step &&
               a.email == b.email && a.goals == b.goals && a.consent == b.consent &&
               std::equal(a.taught.begin(), a.taught.end(), b.taught.begin(), b.taught.end(), taught);
    };
    if (same(now, sheet_->facts)) return;
    undo().push(new PersonStep(tr("what is known of a person"), [this, id = sheet_->person.id, before = sheet_->facts, now](bool done) {
        const PersonFacts& f = done ? now : before;
        if (sheet_ && sheet_->person.id == id) sheet_->facts = f;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id, f](std::stop_token) { return lib->people().set_facts(id, f); },
            [this](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                load_sheet();
            });
    }));
}

void PeoplePage::person_changed() {
    if (filling_ || !sheet_) return;
    Person now = sheet_->person;
    now.name = name_->text().trimmed().toStdString();
    now.notes = notes_->toPlainText().trimmed().toStdString();
    if (now.name.empty()) return fill_facts(); // somebody has a name
    if (now.name == sheet_->person.name && now.notes == sheet_->person.notes) return;
    undo().push(new PersonStep(tr("a person"), [this, before = sheet_->person, now](bool done) {
        const Person& p = done ? now : before;
        if (sheet_ && sheet_->person.id == p.id) sheet_->person.name = p.name, sheet_->person.notes = p.notes;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, p](std::stop_token) { return lib->people().update(p); },
            [this, id = p.id](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                session_.workspace->touched(0);
                load_people(id);
            });
    }));
}

void PeoplePage::height_changed() {
    if (!sheet_) return;
    const double now = height_->value() / 100, before = sheet_->person.stature_m;
    if (std::abs(now - before) < 1e-4) return;
    undo().push(new PersonStep(tr("the height of a person"), [this, id = sheet_->person.id, before, now](bool done) {
        const double m = done ? now : before;
        if (sheet_ && sheet_->person.id == id) sheet_->person.stature_m = m;
        const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id, m, today](std::stop_token) { return lib->people().set_height(id, today, m); },
            [this](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                load_sheet();
            });
    }));
}

void PeoplePage::keep_limit(const Agreement& a) {
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, a](std::stop_token) { return lib->decisions().save_agreement(a); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return problem(id.error());
            session_.workspace->rules_changed();
            load_sheet();
        });
}

void PeoplePage::change_limit() {
    const int at = limits_->currentRow();
    if (!sheet_ || at < 0) return;
    auto* d = new LimitDialog(session_, sheet_->agreements[static_cast<std::size_t>(at)], this);
    d->setAttribute(Qt::WA_DeleteOnClose);
    connect(d, &LimitDialog::agreed, this, &PeoplePage::keep_limit);
    d->open();
}

void PeoplePage::end_limit() {
    const int at = limits_->currentRow();
    if (!sheet_ || at < 0) return;
    Agreement before = sheet_->agreements[static_cast<std::size_t>(at)], now = before;
    now.until_day = QDate::currentDate().toString(Qt::ISODate).toStdString();
    if (!now.from_day.empty() && now.until_day < now.from_day) now.from_day = now.until_day;
    undo().push(new PersonStep(tr("the end of what was agreed"), [this, before, now](bool done) { keep_limit(done ? now : before); }));
}

void PeoplePage::add_person() {
    bool ok = false;
    const QString name = QInputDialog::getText(this, tr("Add a person"), tr("Name or alias"), QLineEdit::Normal, QString(), &ok).trimmed();
    if (!ok || name.isEmpty()) return;
    const double cm = QInputDialog::getDouble(this, tr("Add a person"), tr("Height of %1, cm").arg(name), 170, 80, 250, 1, &ok);
    if (!ok) return;
    Person p;
    p.name = name.toStdString();
    p.stature_m = cm / 100;
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, p](std::stop_token) { return lib->people().add(p); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return problem(id.error());
            session_.workspace->touched(0);
            load_people(*id);
        });
}

void PeoplePage::problem(const Error& e) {
    words_->setText(text::error(e));
}

void PeoplePage::new_theme() {
    if (sheet_) fill();
}

} // namespace bevel::ui
