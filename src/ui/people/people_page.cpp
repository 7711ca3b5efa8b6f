#include "ui/people/people_page.h"
#include "core/files.h"
#include "core/movement/movement.h"
#include "desk/open_review.h"
#include "store/bundle.h"
#include "ui/people/changes_view.h"
#include "ui/people/limit_dialog.h"
#include "ui/people/new_person_dialog.h"
#include "ui/people/person_step.h"
#include "ui/people/tests_view.h"
#include "ui/pictures/stills.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/left_edit.h"
#include "ui/shell/step.h"
#include "ui/text/data_words.h"
#include "ui/text/practice_words.h"
#include <charconv>
#include <cmath>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
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
    stills_ = new ListStills(session_, 44, this);
    list_->setIconSize(stills_->size());
    connect(stills_, &ListStills::found, this, [this](qint64 clip) {
        for (int i = 0; i < list_->count(); ++i)
            if (list_->item(i)->data(Qt::UserRole + 1).toLongLong() == clip) list_->item(i)->setData(Qt::DecorationRole, stills_->of(clip));
    });
    list_->setWordWrap(true);
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
    changes_ = new ChangesView(session_);
    tabs_->addTab(changes_, tr("What changed"));
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
    tests_ = new TestsView(session_);
    connect(tests_, &TestsView::kept, this, &PeoplePage::load_sheet);
    connect(tests_, &TestsView::unwanted, this, [this](const KeptTest& t) {
        KeptTest gone = t;
        gone.figures.clear();
        undo().push(new Step<KeptTest>(
            tr("the quiet test"), [this](const KeptTest& now) { now.figures.empty() ? tests_->drop(now.id) : tests_->keep(now); }, t,
            gone));
    });
    connect(tests_, &TestsView::own_wanted, this, [this](const PersonNeutral& after) {
        if (here()) keep_right(sheet_->person.id, sheet_->person.neutral, after);
    });
    connect(tests_, &TestsView::step_wanted, this, [this](int step) {
        if (!here()) return;
        ladder_->setCurrentIndex(std::max(0, ladder_->findData(step)));
        facts_changed();
    });
    tabs_->addTab(tests_, tr("Quiet tests"));
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
    connect(search_, &QLineEdit::textChanged, this, &PeoplePage::show_found);
    connect(search_, &QLineEdit::returnPressed, this, [this] { // the first that is left
        for (int i = 0; i < list_->count(); ++i)
            if (!list_->item(i)->isHidden()) return list_->setCurrentRow(i);
    });
    connect(list_, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* it) {
        if (it && !filling_) show_person(it->data(Qt::UserRole).toLongLong());
    });
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
        if (wanted_ == 0) return;
        Agreement a;
        a.person = wanted_; // whose row is chosen, though the sheet may still be the last one's
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

void PeoplePage::show_found() {
    const QString words = search_->text();
    for (int i = 0; i < list_->count(); ++i) list_->item(i)->setHidden(!list_->item(i)->text().contains(words, Qt::CaseInsensitive));
}

void PeoplePage::load_people(qint64 choose) {
    session_.background->run<Result<std::vector<PersonLine>>>(
        this, [lib = session_.library](std::stop_token) { return person_lines(*lib); },
        [this, asked = choose, before = wanted_](const Result<std::vector<PersonLine>>& people) {
            if (!people) return problem(people.error());
            const qint64 chosen = wanted_ != before ? wanted_ : asked; // somebody was chosen meanwhile
            either_->setCurrentIndex(people->empty() ? 0 : 1);
            filling_ = true;
            list_->clear();
            int at = people->empty() ? -1 : 0;
            for (const auto& p : *people) {
                QStringList below;
                if (p.last) below << tr("clip of %1").arg(text::day(p.last->filmed_on.empty() ? p.last->arrived_on : p.last->filmed_on));
                if (!p.look_again.empty()) below << tr("look again %1").arg(text::day(p.look_again));
                auto* it = new QListWidgetItem(
                    QString::fromStdString(p.person.name) + QLatin1Char('\n') + below.join(QStringLiteral(" · ")), list_);
                it->setData(Qt::UserRole, static_cast<qint64>(p.person.id));
                it->setData(Qt::UserRole + 1, p.last ? static_cast<qint64>(p.last->id) : 0);
                it->setData(Qt::DecorationRole, stills_->of(p.last ? p.last->id : 0));
                if (p.person.id == chosen) at = list_->count() - 1;
            }
            show_found(); // words may have been typed while they were read
            count_->setText(list_->count() == 1 ? tr("one person") : tr("%1 people").arg(list_->count()));
            filling_ = false;
            list_->setCurrentRow(at);
            if (at >= 0) show_person(list_->item(at)->data(Qt::UserRole).toLongLong());
            QList<qint64> clips;
            for (const auto& p : *people)
                if (p.last) clips << p.last->id;
            stills_->look_for(clips);
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
    if (!here() || sheet_->unmeasured.empty() || session_.library->read_only()) {
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
    changes_->show_sheet(*sheet_);
    tests_->show_sheet(*sheet_);
    fill_record();
    fill_letters();
    fill_limits();
    fill_uneven();
    fill_right();
    fill_facts();
    emit filled();
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
    if (!here() || row < 0 || row >= static_cast<int>(sheet_->uneven.size())) return;
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
    if (!here() || at < 0) return;
    auto* d = new LimitDialog(session_, sheet_->agreements[static_cast<std::size_t>(at)], this);
    d->setAttribute(Qt::WA_DeleteOnClose);
    connect(d, &LimitDialog::agreed, this, &PeoplePage::keep_limit);
    d->open();
}

void PeoplePage::end_limit() {
    const int at = limits_->currentRow();
    if (!here() || at < 0) return;
    Agreement before = sheet_->agreements[static_cast<std::size_t>(at)], now = before;
    now.until_day = QDate::currentDate().toString(Qt::ISODate).toStdString();
    if (!now.from_day.empty() && now.until_day < now.from_day) now.from_day = now.until_day;
    undo().push(new PersonStep(tr("the end of what was agreed"), [this, before, now](bool done) { keep_limit(done ? now : before); }));
}

void PeoplePage::add_person() {
    auto* dialog = new NewPersonDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &NewPersonDialog::made, this, [this](const Person& p) {
        session_.background->run<Result<std::int64_t>>(
            this, [lib = session_.library, p](std::stop_token) { return lib->people().add(p); },
            [this](const Result<std::int64_t>& id) {
                if (!id) return problem(id.error());
                session_.workspace->touched(0);
                load_people(*id);
            });
    });
    dialog->open();
}

void PeoplePage::problem(const Error& e) {
    words_->setText(text::error(e));
}

void PeoplePage::new_theme() {
    if (sheet_) fill();
}

} // namespace bevel::ui
