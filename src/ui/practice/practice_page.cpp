#include "ui/practice/practice_page.h"
#include "core/files.h"
#include "media/sound.h"
#include "store/reminder.h"
#include "ui/jobs/jobs.h"
#include "ui/paint/practice_sheet.h"
#include "ui/pictures/figure_view.h"
#include "ui/shell/step.h"
#include "ui/shell/words_spin.h"
#include "ui/text/practice_words.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPointer>
#include <QPushButton>
#include <QScrollArea>
#include <QSpinBox>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {

PracticePage::PracticePage(Session& session, QWidget* parent) : Place(session, "practice", parent) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Practice"));
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("practiceTabs"));
    tabs_->setAccessibleName(tr("Practice"));
    tabs_->addTab(build_plan(), tr("Plan"));
    course_ = new WeeksView(session_, undo(), false);
    tabs_->addTab(course_, tr("Course"));
    log_ = new LogView(session_);
    tabs_->addTab(log_, tr("Log"));
    connect(course_, &WeeksView::person_chosen, this, [this](qint64 id) { load_people(id); });
    connect(course_, &WeeksView::day_wanted, this, &PracticePage::plan_day);
    notice_ = new Notice;
    auto* head = new QLabel(tr("Practice"));
    head->setObjectName(QStringLiteral("title"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 12);
    all->addWidget(head);
    all->addWidget(tabs_, 1);
    all->addWidget(notice_);
}

QWidget* PracticePage::build_plan() {
    auto* left = build_needs();
    title_ = new QLineEdit;
    title_->setObjectName(QStringLiteral("planTitle"));
    title_->setAccessibleName(tr("Title of the session"));
    title_->setPlaceholderText(tr("Title, as it stands on the sheet"));
    view_ = new PlanView(session_);
    auto* middle = new QVBoxLayout;
    middle->setContentsMargins(6, 6, 6, 0);
    middle->addWidget(title_);
    middle->addWidget(view_, 1);
    auto* right = build_session();
    auto* w = new QWidget;
    auto* row = new QHBoxLayout(w);
    row->setContentsMargins(4, 4, 4, 4);
    row->addWidget(left);
    row->addLayout(middle, 1);
    row->addWidget(right);
    connect_plan();
    go_->setEnabled(false);
    export_->setEnabled(false);
    return w;
}

/// What is at hand and asked for.
QWidget* PracticePage::build_needs() {
    form_ = new NeedsForm(session_);
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("What is at hand and asked for"));
    scroll->setWidget(form_);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    propose_ = new QPushButton(tr("Propose a session"));
    propose_->setObjectName(QStringLiteral("propose"));
    auto* left = new QWidget;
    left->setFixedWidth(session_.theme.wide(292));
    auto* left_box = new QVBoxLayout(left);
    left_box->setContentsMargins(0, 6, 0, 0);
    left_box->addWidget(scroll, 1);
    left_box->addWidget(propose_);
    return left;
}

/// How the session is run, and what leaves the program.
QWidget* PracticePage::build_session() {
    figure_ = new FigureView(session_);
    figure_->setMinimumSize(200, 220);
    spoken_ = new QCheckBox(tr("Spoken words"));
    spoken_->setObjectName(QStringLiteral("planSpoken"));
    spoken_->setToolTip(tr("Your own recordings from the library's folder “spoken” first, else the voice of this computer"));
    wait_ = new QCheckBox(tr("Wait for a tap"));
    wait_->setObjectName(QStringLiteral("planWait"));
    wait_->setToolTip(tr("At the end of each repeat the pacer waits for a key, a click or the foot switch"));
    build_breath();
    build_times();
    build_exports();
    auto* own = build_own_plans();
    auto* right = new QWidget;
    right->setFixedWidth(session_.theme.wide(250));
    auto* right_box = new QVBoxLayout(right);
    right_box->setContentsMargins(0, 6, 0, 0);
    right_box->addWidget(figure_, 1);
    right_box->addWidget(spoken_);
    right_box->addWidget(wait_);
    right_box->addWidget(lengthen_);
    auto* to = new QHBoxLayout;
    to->addWidget(in_to_);
    to->addWidget(out_to_);
    right_box->addLayout(to);
    right_box->addWidget(out_by_);
    right_box->addWidget(slower_);
    right_box->addWidget(delay_);
    right_box->addWidget(go_);
    auto* last = new QHBoxLayout;
    last->addWidget(export_);
    last->addWidget(own);
    right_box->addLayout(last);
    return right;
}

void PracticePage::build_breath() {
    lengthen_ = new QCheckBox(tr("Lengthen the breath"));
    lengthen_->setObjectName(QStringLiteral("planLengthen"));
    lengthen_->setToolTip(tr("From the student's own to this at the end; only when asked"));
    auto seconds = [&](const char* name, const QString& label, double value, double least, double most) {
        auto* s = new QDoubleSpinBox;
        s->setObjectName(QLatin1String(name));
        s->setAccessibleName(label);
        s->setRange(least, most);
        s->setDecimals(1);
        s->setValue(value);
        s->setPrefix(label + QLatin1Char(' '));
        s->setSuffix(tr(" s"));
        s->setEnabled(false);
        connect(lengthen_, &QCheckBox::toggled, s, &QWidget::setEnabled);
        return s;
    };
    out_by_ = new QComboBox;
    out_by_->setObjectName(QStringLiteral("planOutBy"));
    out_by_->setAccessibleName(tr("How the breath goes"));
    for (const auto& [label, id] :
         {std::pair{tr("breath as it comes"), ""}, {tr("in and out by the nose"), "nose"}, {tr("out through the lips"), "lips"}})
        out_by_->addItem(label, QString::fromLatin1(id));
    in_to_ = seconds("planInTo", tr("in"), 6, 4, 9);
    out_to_ = seconds("planOutTo", tr("out"), 7, 4, 10);
}

void PracticePage::build_times() {
    slower_ = new WordsSpin(
        [](double v) {
            return v < 1.05 ? tr("the same pace to the end") : tr("slowing to %1 times as long").arg(locale_now().toString(v, 'f', 1));
        },
        1);
    slower_->setObjectName(QStringLiteral("planSlower"));
    slower_->setAccessibleName(tr("Length of the last repeats against the first"));
    slower_->setToolTip(slower_->accessibleName());
    slower_->setRange(1, 2);
    slower_->setSingleStep(0.1);
    slower_->setDecimals(1);
    delay_ = new QSpinBox;
    delay_->setObjectName(QStringLiteral("planDelay"));
    delay_->setAccessibleName(tr("How late the sound device is"));
    delay_->setToolTip(tr("Where pictures come before the sound, as with wireless loudspeakers"));
    delay_->setRange(0, 1000);
    delay_->setSingleStep(20);
    delay_->setSpecialValueText(tr("sound with the picture"));
    delay_->setPrefix(tr("sound comes late by "));
    delay_->setSuffix(tr(" ms"));
}

void PracticePage::build_exports() {
    go_ = new QPushButton(tr("Run it …"));
    go_->setObjectName(QStringLiteral("primary"));
    export_ = new QPushButton(tr("Export"));
    export_->setObjectName(QStringLiteral("planExport"));
    auto* menu = new QMenu(export_);
    menu->setObjectName(QStringLiteral("planExports"));
    for (const auto& [label, name, kinds] : {std::tuple{tr("Sheet as PDF …"), "practice.pdf", tr("PDF (*.pdf)")},
                                             {tr("Sheet as HTML, large type …"), "practice.html", tr("HTML (*.html)")},
                                             {tr("Sound …"), "practice.ogg", tr("Sound (*.ogg *.flac *.wav)")},
                                             {tr("Film for the phone …"), "practice.mp4", tr("MP4 (*.mp4)")},
                                             {tr("Calendar …"), "practice.ics", tr("Calendar (*.ics)")},
                                             {tr("Plan as a file …"), "practice.json", tr("Plan (*.json)")}})
        connect(menu->addAction(label), &QAction::triggered, this,
                [this, l = label, n = QString::fromLatin1(name), k = kinds] { ask_export(l, n, k); });
    export_->setMenu(menu);
}

QPushButton* PracticePage::build_own_plans() {
    auto* own = new QPushButton(tr("Own plans"));
    own->setObjectName(QStringLiteral("ownPlans"));
    auto* own_menu = new QMenu(own);
    own_menu->setObjectName(QStringLiteral("ownPlansMenu"));
    own->setMenu(own_menu);
    connect(own_menu->addAction(tr("Keep this one as …")), &QAction::triggered, this, [this] {
        bool ok = false;
        const QString name = QInputDialog::getText(this, tr("Keep the plan"), tr("Name"), QLineEdit::Normal, title_->text(), &ok).trimmed();
        if (ok && !name.isEmpty()) keep_plan(name);
    });
    connect(own_menu->addAction(tr("Take one out of the drawer …")), &QAction::triggered, this, &PracticePage::choose_template);
    connect(own_menu->addAction(tr("Read one from a file …")), &QAction::triggered, this, [this] {
        const QString file = QFileDialog::getOpenFileName(this, tr("Read a plan"), QString(), tr("Plan (*.json)"));
        if (file.isEmpty()) return;
        session_.files().run<Result<Plan>>(
            this,
            [path = file.toStdString()](std::stop_token) -> Result<Plan> {
                const auto source = read_text(path, 1U << 20U);
                return source ? parse_plan(*source) : Result<Plan>(tl::unexpected(source.error()));
            },
            [this](const Result<Plan>& plan) { plan ? apply(*plan) : notice_->problem(text::error(plan.error())); });
    });
    return own;
}

void PracticePage::connect_plan() {
    connect(propose_, &QPushButton::clicked, this, &PracticePage::propose_now);
    connect(view_, &PlanView::barred, this, [this](const QString& words) { notice_->problem(words); });
    connect(form_, &NeedsForm::changed, this, [this] {
        if (!view_->plan().items.empty()) view_->set_needs(form_->needs());
    });
    connect(form_, &NeedsForm::person_chosen, this, [this] { load_known(); });
    connect(form_, &NeedsForm::group_chosen, this, &PracticePage::load_group);
    connect(view_, &PlanView::changed, this, [this](const Plan& before, const Plan& after) {
        undo().push(new Step<Plan>(
            tr("the plan"), [this](const Plan& p) { show_plan(p); }, before, after));
    });
    connect(view_, &PlanView::chosen, this, [this](int r) {
        if (r < 0 || r >= static_cast<int>(view_->plan().items.size())) return;
        const auto movements = session_.practice_movements(); // held while one of them is looked at
        if (const Movement* m = movement_of(view_->plan().items[static_cast<std::size_t>(r)], *movements))
            figure_->show_movement(*m), figure_->play(true);
    });
    connect(title_, &QLineEdit::textEdited, this, [this](const QString& s) {
        Plan p = view_->plan();
        p.title = s.trimmed().toStdString();
        view_->show_plan(p, form_->needs());
    });
    connect(go_, &QPushButton::clicked, this, [this] { run_now(); });
}

void PracticePage::open(Ref ref) {
    setFocus();
    if (const std::string id = ref.practise.toStdString(); id.starts_with(form_prefix)) {
        form_->fill_forms();
        form_->choose_form(id.substr(form_prefix.size()));
    } else if (!id.empty()) {
        form_->add_wanted(id);
    }
    load_people(ref.person != 0 ? ref.person : form_->person());
}

void PracticePage::load_people(qint64 choose) {
    session_.background->run<Result<std::vector<Person>>>(
        this, [lib = session_.library](std::stop_token) { return lib->people().all(); },
        [this, choose](const Result<std::vector<Person>>& people) {
            if (!people) return notice_->problem(text::error(people.error()));
            form_->set_people(*people, choose);
            course_->set_people(*people, form_->person());
            load_known();
        });
}

void PracticePage::load_known() {
    const qint64 id = form_->person();
    log_->show_person(id, form_->person_name());
    course_->set_person(id);
    course_->show_person(id);
    if (id == 0) {
        form_->set_known({});
        if (!form_->group().empty()) return load_group();
        if (!std::exchange(filled_once_, true)) propose_now();
        return;
    }
    session_.background->run<Result<PersonNeeds>>(
        this,
        [lib = session_.library, id, today = QDate::currentDate().toString(Qt::ISODate).toStdString(),
         forms = session_.forms()](std::stop_token) { return person_needs(*lib, id, today, forms); },
        [this, id](const Result<PersonNeeds>& known) {
            if (id != form_->person()) return;
            if (!known) return notice_->problem(text::error(known.error()));
            form_->set_known(*known);
            log_->show_person(id, form_->person_name());
            if (!std::exchange(filled_once_, true)) propose_now();
        });
}

void PracticePage::load_group() {
    session_.background->run<Result<std::vector<PersonNeeds>>>(
        this,
        [lib = session_.library, ids = form_->group(), forms = session_.forms(),
         today = QDate::currentDate().toString(Qt::ISODate).toStdString()](std::stop_token) -> Result<std::vector<PersonNeeds>> {
            std::vector<PersonNeeds> out;
            for (const auto id : ids) {
                auto one = person_needs(*lib, id, today, forms);
                if (!one) return tl::unexpected(one.error());
                out.push_back(std::move(*one));
            }
            return out;
        },
        [this, ids = form_->group()](const Result<std::vector<PersonNeeds>>& group) {
            if (form_->person() != 0 || ids != form_->group()) return;
            group ? form_->set_group(*group) : notice_->problem(text::error(group.error()));
        });
}

void PracticePage::propose_now() {
    Needs needs = form_->needs();
    for (const auto& i : view_->plan().items)
        if (i.locked) needs.locked.push_back(i);
    const int run = ++run_;
    propose_->setEnabled(false);
    session_.files().run<Result<Plan>>(
        this, [needs, movements = session_.practice_movements()](std::stop_token) { return propose(needs, *movements); },
        [this, run, needs](Result<Plan> plan) {
            propose_->setEnabled(true);
            if (run != run_) return;
            if (!plan)
                return notice_->problem(
                    plan.error().context == "locked"
                        ? tr("What is locked does not fit into %1 minutes: unlock something, or take more time.").arg(needs.minutes)
                        : text::error(plan.error()));
            notice_->say({});
            plan->person = form_->person_name().toStdString();
            plan->title = title_->text().trimmed().isEmpty() ? tr("%1 minutes").arg(needs.minutes).toStdString()
                                                             : title_->text().trimmed().toStdString();
            apply(*plan);
            emit planned();
        });
}

void PracticePage::apply(const Plan& plan) {
    const Plan before = view_->plan();
    if (before.items.empty())
        show_plan(plan);
    else
        undo().push(new Step<Plan>(
            tr("the plan"), [this](const Plan& p) { show_plan(p); }, before, plan));
}

void PracticePage::show_plan(const Plan& plan) {
    session_.practise(plan);
    view_->show_plan(plan, form_->needs());
    title_->setText(QString::fromStdString(plan.title));
    go_->setEnabled(!plan.items.empty());
    export_->setEnabled(!plan.items.empty());
}

PacerOptions PracticePage::pacer_options() const {
    PacerOptions o;
    const double breath = view_->plan().breath_s;
    o.in_s = breath / 2, o.out_s = breath / 2;
    if (lengthen_->isChecked()) o.in_to_s = in_to_->value(), o.out_to_s = out_to_->value();
    o.wait_for_tap = wait_->isChecked();
    o.out_by = out_by_->currentData().toString().toStdString();
    o.slower_to = slower_->value();
    return o;
}

/// The day may be another by now: the gate is asked once more, whatever becomes of the plan.
bool PracticePage::passes(std::function<void()> then) {
    view_->set_needs(form_->needs());
    if (const auto rows = view_->barred_rows(); !rows.empty()) {
        Plan without = view_->plan();
        QStringList names;
        for (auto r = rows.rbegin(); r != rows.rend(); ++r) {
            names.prepend(text::item_title(without.items[static_cast<std::size_t>(*r)], *session_.practice_movements()));
            without.items.erase(without.items.begin() + *r);
        }
        names.removeDuplicates();
        const bool some =
            std::any_of(without.items.begin(), without.items.end(), [](const PlanItem& i) { return i.part != PlanPart::settling; });
        notice_->problem(tr("Not today, by what was agreed or what the day asks for: %1. Let it in with a reason, or practise without it.")
                             .arg(names.join(QStringLiteral(", "))),
                         some ? tr("Without it") : QString(),
                         some ? std::function<void()>([this, without, then] {
                             apply(without);
                             then();
                         })
                              : std::function<void()>());
        return false;
    }
    return true;
}

PacerWindow* PracticePage::run_now() {
    if (view_->plan().items.empty()) return nullptr;
    if (pacer_) {
        pacer_->raise();
        return pacer_;
    }
    if (!passes([this] { run_now(); })) return nullptr;
    figure_->play(false);
    pacer_ = new PacerWindow(session_, view_->plan(), pacer_options(), spoken_->isChecked());
    pacer_->run().set_delay(delay_->value() / 1000.0);
    connect(pacer_, &PacerWindow::over, this, &PracticePage::over);
    pacer_->show();
    pacer_->setFocus();
    return pacer_;
}

/// After the run: what was done goes into the log, with what only the person can say.
void PracticePage::over(const PracticeLog& log) {
    PracticeLog l = log;
    l.person = form_->person();
    if (l.minutes < 0.2) return; // stopped before it began
    tabs_->setCurrentWidget(log_);
    log_->add(l);
}

/// A session of a week of the course: by what the course asks and what the day does.
void PracticePage::plan_day(const Needs& day, const QString& of_what) {
    form_->take_day(day, of_what);
    title_->setText(of_what);
    tabs_->setCurrentIndex(0);
    propose_now();
}

void PracticePage::keep_plan(const QString& name) {
    Plan p = view_->plan();
    p.title = name.toStdString();
    p.person.clear(); // used for whoever
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, form = OwnForm{name.toStdString(), plan_text(p)}](std::stop_token) {
            return lib->forms().keep(form, Own::plan);
        },
        [this, name](const Result<bool>& ok) {
            ok ? notice_->say(tr("Kept as “%1”.").arg(name)) : notice_->problem(text::error(ok.error()));
        });
}

void PracticePage::choose_template() {
    session_.background->run<Result<std::vector<OwnForm>>>(
        this, [lib = session_.library](std::stop_token) { return lib->forms().all(Own::plan); },
        [this](const Result<std::vector<OwnForm>>& all) {
            if (!all) return notice_->problem(text::error(all.error()));
            if (all->empty()) return notice_->say(tr("No plan was kept yet."));
            QStringList names;
            for (const auto& f : *all) names << QString::fromStdString(f.id);
            bool ok = false;
            const QString name = QInputDialog::getItem(this, tr("Own plans"), tr("Which one?"), names, 0, false, &ok);
            if (!ok) return;
            auto plan = parse_plan((*all)[static_cast<std::size_t>(names.indexOf(name))].body);
            if (!plan) return notice_->problem(text::error(plan.error()));
            plan->person = form_->person_name().toStdString();
            apply(*plan);
        });
}

void PracticePage::ask_export(const QString& what, const QString& name, const QString& kinds) {
    const QString& folder = session_.settings.export_folder;
    const QString file = QFileDialog::getSaveFileName(this, what, folder.isEmpty() ? name : folder + QLatin1Char('/') + name, kinds);
    if (!file.isEmpty()) export_to(file);
}

void PracticePage::export_to(const QString& file) {
    if (!passes([this, file] { export_to(file); })) return;
    const QString ending = QFileInfo(file).suffix().toLower();
    const Plan plan = view_->plan();
    const auto path = std::filesystem::path(file.toStdString());
    PracticeFilm film;
    film.plan = plan;
    film.options = pacer_options();
    film.options.wait_for_tap = false;
    film.spoken = spoken_->isChecked();
    film.language = spoken_language().toStdString();
    auto stop = std::make_shared<std::stop_source>();
    const int job =
        session_.jobs->begin(JobKind::writing, tr("Writing %1").arg(QFileInfo(file).fileName()), [stop] { stop->request_stop(); });
    session_.files().run<Result<bool>>(
        this,
        [=, all = session_.practice_movements(), own = session_.library->folder() / "spoken",
         now = QDateTime::currentDateTime()](const std::stop_token& quit) -> Result<bool> {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            const auto& movements = *all;
            if (ending == QLatin1String("pdf")) {
                const auto bytes = practice_pdf(plan, movements);
                if (!bytes) return tl::unexpected(bytes.error());
                return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
            }
            if (ending == QLatin1String("html")) return write_whole(path, practice_html(plan, movements).toStdString());
            if (ending == QLatin1String("json")) return write_whole(path, plan_text(plan));
            if (ending == QLatin1String("mp4")) return write_practice_film(path, film, movements, stop->get_token(), {});
            if (ending == QLatin1String("ics")) {
                PracticeDate d;
                d.uid = "practice-" + now.toString(Qt::ISODate).toStdString() + "@bevel";
                d.at = QDateTime(now.date().addDays(1), QTime(18, 0)).toString(Qt::ISODate).toStdString();
                d.title = plan.title;
                d.minutes = std::max(1, static_cast<int>(std::lround(plan.total_s() / 60)));
                d.every_days = 1, d.times = 7;
                QStringList words;
                for (const auto& i : plan.items)
                    if (i.part != PlanPart::settling)
                        words << QStringLiteral("%1: %2").arg(text::item_title(i, movements), text::item_amount(i));
                d.words = words.join(QLatin1Char('\n')).toStdString();
                const auto text = calendar_of(std::vector<PracticeDate>{d}, now.toUTC().toString(Qt::ISODate).toStdString());
                if (!text) return tl::unexpected(text.error());
                return write_whole(path, *text);
            }
            const Timeline t = timeline_of(plan, movements, film.options);
            SpokenWords spoken;
            if (film.spoken) {
                auto words = spoken_of(t, movements, film.language, own, stop->get_token());
                if (!words) return tl::unexpected(words.error());
                spoken = std::move(*words);
            }
            return write_sound(path, SoundTrack(t, sound_rate, spoken), stop->get_token());
        },
        [this, file, job](const Result<bool>& ok) {
            const bool cancelled = !ok && ok.error().code == Code::cancelled;
            session_.jobs->end(job, ok ? JobOutcome::done : cancelled ? JobOutcome::cancelled : JobOutcome::failed);
            if (!ok) return notice_->problem(text::error(ok.error()));
            session_.settings.export_folder = QFileInfo(file).absolutePath();
            notice_->say(tr("Saved: %1").arg(file));
            emit exported(file);
        });
}

void PracticePage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "proposePlan", tr("Propose a session, or the weeks of the course anew"), {QKeySequence(Qt::Key_F8)},
                [this] { tabs_->currentWidget() == course_ ? course_->make_anew() : propose_now(); });
    actions.add(this, M::clip, "runPlan", tr("Run the session"), {QKeySequence(Qt::Key_F9)}, [this] { run_now(); });
    actions.add(this, M::edit, "planEarlier", tr("This exercise earlier"), {QKeySequence(Qt::ALT | Qt::Key_Up)}, [this] {
        if (const int r = view_->current(); r > 0) view_->move(r, r - 1);
    });
    actions.add(this, M::edit, "planLater", tr("This exercise later"), {QKeySequence(Qt::ALT | Qt::Key_Down)}, [this] {
        const int r = view_->current(), n = static_cast<int>(plan().items.size());
        if (r >= 0 && r + 1 < n) view_->move(r, r + 2 < n ? r + 2 : -1);
    });
    actions.add(this, M::edit, "planLockAction", tr("Lock this exercise, or no longer"), {QKeySequence(Qt::CTRL | Qt::Key_L)}, [this] {
        if (const int r = view_->current(); r >= 0) view_->lock(r, !plan().items[static_cast<std::size_t>(r)].locked);
    });
    actions.add(this, M::edit, "planOutAction", tr("Take this exercise out"), {QKeySequence::Delete},
                [this] { view_->take_out(view_->current()); });
}

void PracticePage::new_theme() {
    view_->show_plan(view_->plan(), form_->needs());
    log_->reload();
    course_->update();
}

} // namespace bevel::ui
