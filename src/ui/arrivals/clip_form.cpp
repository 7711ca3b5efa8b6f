#include "ui/arrivals/clip_form.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/inbox.h"
#include "ui/arrivals/live_body.h"
#include "ui/arrivals/still_pair.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QLineEdit>
#include <QSpinBox>

namespace bevel::ui {
ClipForm::ClipForm(Session& session, QWidget* parent) : QFrame(parent), session_(session) {
    build();
}

double ClipForm::height_m() const {
    return height_->value() * (session_.settings.inches ? 0.0254 : 0.01);
}

/// The least the field shows stands for a height that nobody said.
bool ClipForm::height_said() const {
    return height_->value() > height_->minimum();
}

void ClipForm::set_height(const Person& p) {
    height_->setValue(p.height_said ? p.stature_m / (session_.settings.inches ? 0.0254 : 0.01) : height_->minimum());
}

void ClipForm::build() {
    setObjectName(QStringLiteral("card"));
    setFixedWidth(session_.theme.wide(340));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(5);
    choose_ = new QPushButton(tr("Take clips in …"));
    choose_->setObjectName(QStringLiteral("chooseFile"));
    file_label_ = new QLabel;
    file_label_->setObjectName(QStringLiteral("heading"));
    file_label_->setWordWrap(true);
    sure_ = new QLabel;
    sure_->setObjectName(QStringLiteral("faint"));
    sure_->setWordWrap(true);
    build_whose();
    build_facts();
    take_ = new QPushButton;
    take_->setObjectName(QStringLiteral("primary"));
    take_->setEnabled(false);
    notice_ = new Notice;
    stills_ = new StillPair(session_);
    stills_->setObjectName(QStringLiteral("stills"));
    stills_->hide();
    live_ = new LiveBody(session_.theme);
    live_->setObjectName(QStringLiteral("live"));
    live_->hide();
    auto* privacy = new QLabel(tr("Clips stay on this computer."));
    privacy->setObjectName(QStringLiteral("faint"));
    for (QWidget* w : std::initializer_list<QWidget*>{choose_, file_label_, sure_, twice_, named_so_, whose_, facts_, take_, notice_})
        box->addWidget(w);
    box->addWidget(stills_, 3);
    box->addWidget(live_, 2);
    box->addStretch(1);
    box->addWidget(privacy);
    connect(choose_, &QPushButton::clicked, this, &ClipForm::choose_files);
    connect(take_, &QPushButton::clicked, this, [this] { confirm(); });
    connect_fields();
    connect_work();
}

void ClipForm::build_who() {
    student_ = new QComboBox;
    student_->setObjectName(QStringLiteral("student"));
    student_->setEditable(true);
    student_->setAccessibleName(tr("Student"));
    student_->setToolTip(tr("Choose a student, or type a new name"));
    student_->lineEdit()->setPlaceholderText(tr("Whose practice is it?"));
    height_ = new QDoubleSpinBox;
    height_->setObjectName(QStringLiteral("height"));
    height_->setAccessibleName(tr("Height"));
    const bool inches = session_.settings.inches;
    height_->setRange(inches ? 35 : 89, inches ? 91 : 230);
    height_->setDecimals(inches ? 1 : 0);
    height_->setSuffix(inches ? tr(" in") : tr(" cm"));
    height_->setSpecialValueText(tr("height?"));
    height_->setValue(height_->minimum());
    height_->setToolTip(
        tr("The student's own height gives the scale of the picture. Nobody knows it? Then lengths are told by the spread of "
           "grown people, a twentieth less surely; angles and shares do not need it."));
}

void ClipForm::build_movement() {
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("movement"));
    movement_->setAccessibleName(tr("Movement"));
    version_ = new QComboBox;
    version_->setObjectName(QStringLiteral("version"));
    version_->setAccessibleName(tr("Done as"));
    version_->setToolTip(tr("An easier way to do the movement: the clip is held against that"));
    version_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    version_->setMinimumContentsLength(8);
    view_ = new QComboBox;
    view_->setObjectName(QStringLiteral("view"));
    view_->setAccessibleName(tr("Filmed from"));
    view_->addItem(tr("told from the clip"), QString());
    for (const auto& [name, id] : {std::pair{tr("the front"), "front"},
                                   {tr("the back"), "back"},
                                   {tr("the student's left"), "left"},
                                   {tr("the student's right"), "right"}})
        view_->addItem(name, QString::fromLatin1(id));
    school_ = new QComboBox;
    school_->setAccessibleName(tr("School"));
    school_->addItem(tr("the movement's own bands"), QString());
    for (const auto& s : session_.schools.all()) school_->addItem(said(s.name), QString::fromStdString(s.id));
    mirrored_ = new QCheckBox(tr("The picture is mirrored"));
    mirrored_->setObjectName(QStringLiteral("mirrored"));
    mirrored_->setToolTip(tr("A front camera often shows left and right swapped; it is undone before anything is measured"));
}

/// Second view, what was under the feet: there only where they are asked.
void ClipForm::build_rows() {
    pair_ = new QComboBox;
    pair_->setObjectName(QStringLiteral("pair"));
    pair_->setAccessibleName(tr("Second view"));
    pair_->setToolTip(tr("A clip of the same movement from another side: both are judged together, each figure by the one that tells it"));
    pair_row_ = new QWidget;
    pair_row_->setObjectName(QStringLiteral("inCard"));
    auto* pair_box = new QVBoxLayout(pair_row_);
    pair_box->setContentsMargins(0, 0, 0, 0);
    pair_box->setSpacing(2);
    pair_box->addWidget(new QLabel(tr("Second view")));
    pair_box->addWidget(pair_);
    footwear_ = new QComboBox;
    footwear_->setObjectName(QStringLiteral("footwear"));
    footwear_->setAccessibleName(tr("On the feet"));
    for (const auto& [name, id] : {std::pair{tr("feet: not said"), ""},
                                   {tr("barefoot"), "barefoot"},
                                   {tr("socks"), "socks"},
                                   {tr("soft soles"), "soft"},
                                   {tr("firm soles"), "firm"}})
        footwear_->addItem(name, QString::fromLatin1(id));
    surface_ = new QComboBox;
    surface_->setObjectName(QStringLiteral("surface"));
    surface_->setAccessibleName(tr("The floor"));
    for (const auto& [name, id] :
         {std::pair{tr("floor: not said"), ""}, {tr("slippery"), "slippery"}, {tr("smooth"), "smooth"}, {tr("rough"), "rough"}})
        surface_->addItem(name, QString::fromLatin1(id));
    ground_row_ = new QWidget;
    ground_row_->setObjectName(QStringLiteral("inCard"));
    ground_row_->setToolTip(tr("Where a foot pivots, it matters what it stands in and on"));
    auto* ground_box = new QHBoxLayout(ground_row_);
    ground_box->setContentsMargins(0, 0, 0, 0);
    ground_box->addWidget(footwear_);
    ground_box->addWidget(surface_);
}

/// How it went on the day of the clip.
void ClipForm::build_day() {
    energy_ = new QSpinBox;
    energy_->setObjectName(QStringLiteral("energy"));
    energy_->setAccessibleName(tr("Energy that day, 0 to 10"));
    energy_->setToolTip(energy_->accessibleName());
    energy_->setRange(-1, 10);
    energy_->setSpecialValueText(tr("energy: not said"));
    energy_->setPrefix(tr("energy "));
    pain_ = new QLineEdit;
    pain_->setObjectName(QStringLiteral("pain"));
    pain_->setAccessibleName(tr("Pain that day: where"));
    pain_->setPlaceholderText(tr("pain: where?"));
    pain_->setToolTip(tr("As the student says it. Pain means stop or make it smaller; where it stays, a licensed clinician is asked."));
    day_row_ = new QWidget;
    day_row_->setObjectName(QStringLiteral("inCard"));
    auto* day_box = new QHBoxLayout(day_row_);
    day_box->setContentsMargins(0, 0, 0, 0);
    day_box->addWidget(energy_);
    day_box->addWidget(pain_, 1);
    connect(energy_, &QSpinBox::editingFinished, this, &ClipForm::keep_condition);
    connect(pain_, &QLineEdit::editingFinished, this, &ClipForm::keep_condition);
}

void ClipForm::build_facts() {
    build_who();
    build_movement();
    build_rows();
    build_day();
    facts_ = new QWidget;
    facts_->setObjectName(QStringLiteral("inCard"));
    auto* form = new QFormLayout(facts_);
    form->setContentsMargins(0, 0, 0, 0);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(2);
    auto* who = new QHBoxLayout;
    who->addWidget(student_, 1);
    who->addWidget(height_);
    form->addRow(tr("Student and height"), who);
    form->addRow(tr("Movement"), movement_);
    form->addRow(version_);
    form->addRow(tr("Filmed from"), view_);
    connect(school_, &QComboBox::activated, this, [this] { school_chosen_ = true; });
    form->addRow(tr("School"), school_);
    form->addRow(pair_row_);
    form->addRow(ground_row_);
    form->addRow(day_row_);
    form->addRow(mirrored_);
}

void ClipForm::connect_fields() {
    connect(student_, &QComboBox::currentIndexChanged, this, [this](int i) {
        if (i >= 0 && i < static_cast<int>(people_.size())) set_height(people_[static_cast<std::size_t>(i)]);
    });
    connect(student_, &QComboBox::editTextChanged, this, [this] {
        touched_ = true;
        settle();
        look_at_person();
        offer_pairs();
    });
    for (auto* b : {movement_, version_, view_, school_, footwear_, surface_})
        connect(b, &QComboBox::activated, this, [this] { touched_ = true, settle(); });
    connect(movement_, &QComboBox::currentIndexChanged, this, [this] { offer_pairs(), offer_ground(), offer_versions(std::nullopt); });
    connect(view_, &QComboBox::activated, this, &ClipForm::offer_pairs);
    connect(pair_, &QComboBox::activated, this, [this] { touched_ = pair_chosen_ = true; });
    connect(mirrored_, &QCheckBox::clicked, this, [this] { touched_ = true; });
}

/// What becomes of files that come in and of bodies that are looked for.
void ClipForm::connect_work() {
    connect(session_.finding, &FindingQueue::frame, this, [this](const NewestBody& newest) {
        live_->setVisible(row_ && row_->clip.id == session_.finding->running());
        live_->show_body(newest.px);
    });
    connect(session_.finding, &FindingQueue::finished, this, [this](qint64 clip, const QString& problem) {
        live_->hide();
        live_->show_body(std::nullopt);
        if (!problem.isEmpty() && row_ && row_->clip.id == clip) notice_->problem(problem);
    });
    connect(session_.inbox, &Inbox::no_clip, this, [this] {
        notice_->problem(tr("No clip in it: Bevel reads MP4, MOV, WebM, MKV, AVI and M4V."), tr("Choose another file …"),
                         [this] { choose_files(); });
    });
    connect(session_.inbox, &Inbox::ended, this, [this](int taken, const QStringList& there, const QStringList& problems) {
        QStringList words;
        if (taken > 0) words << tr("%n clip(s) taken in.", nullptr, taken);
        if (!there.isEmpty()) words << tr("%n clip(s) there already.", nullptr, static_cast<int>(there.size()));
        words << problems;
        if (!problems.isEmpty())
            notice_->problem(words.join(QLatin1Char('\n')), tr("Choose another file …"), [this] { choose_files(); });
        else if (!there.isEmpty())
            notice_->problem(words.join(QLatin1Char(' ')), tr("Take in once more"), [this, there] { session_.inbox->take(there, true); });
        else
            notice_->say(words.join(QLatin1Char(' ')));
    });
}

void ClipForm::choose_files() {
    const QStringList files = QFileDialog::getOpenFileNames(this, tr("Choose clips"), QString(),
                                                            tr("Clips (%1);;All files (*)").arg(Inbox::endings().join(QLatin1Char(' '))));
    if (!files.isEmpty()) session_.inbox->take(files);
}

void ClipForm::show_clip(const ClipRow* row, const std::vector<ClipRow>& rows, const std::vector<Person>& people) {
    rows_ = rows;
    const bool same = row && row_ && row->clip.id == row_->clip.id && row->clip.state == row_->clip.state &&
                      row->clip.person == row_->clip.person && row->clip.movement == row_->clip.movement;
    people_ = people;
    if (same && touched_) { // what is being typed stays
        row_ = *row;
        return settle();
    }
    row_ = row ? std::optional(*row) : std::nullopt;
    pair_chosen_ = false;
    const QSignalBlocker quiet(student_);
    student_->clear();
    for (const auto& p : people_) student_->addItem(QString::fromStdString(p.name));
    student_->setCurrentIndex(-1);
    student_->setCurrentText({});
    facts_->setVisible(row_.has_value());
    take_->setVisible(row_.has_value());
    if (row_) {
        fill(*row_);
    } else {
        file_label_->setText(tr("No clip is chosen"));
        sure_->setText(tr("Drop clips here, or take them in: the body is found by itself, then you say whose it is."));
        whose_->hide();
        twice_->hide();
        named_so_->hide();
        stills_->clear();
    }
    live_->hide();
    settle();
    look_at_person();
    offer_pairs();
    offer_ground();
    touched_ = false;
}

void ClipForm::load_condition() {
    const qint64 id = row_ ? row_->clip.id : 0;
    if (id == 0) return;
    session_.background->run<Result<Condition>>(
        this, [lib = session_.library, id](std::stop_token) { return lib->records().condition(id); },
        [this, id](const Result<Condition>& c) {
            if (!c || !row_ || row_->clip.id != id) return;
            condition_ = *c;
            energy_->setValue(c->energy.value_or(-1));
            pain_->setText(QString::fromStdString(c->pain));
        });
}

void ClipForm::keep_condition() {
    if (!row_) return;
    Condition now;
    now.pain = pain_->text().trimmed().toStdString();
    if (energy_->value() >= 0) now.energy = energy_->value();
    if (now.pain == condition_.pain && now.energy == condition_.energy) return;
    condition_ = now;
    session_.background->run<Result<bool>>(
        session_.jobs, [lib = session_.library, id = row_->clip.id, now](std::stop_token) { return lib->records().set_condition(id, now); },
        [form = QPointer<ClipForm>(this)](const Result<bool>& ok) {
            if (form && !ok) form->notice_->problem(text::error(ok.error()));
        });
}

/// The last clip of whoever is named, beside this one.
void ClipForm::look_at_person() {
    if (!row_ || row_->clip.state != ClipState::asked) return stills_->clear();
    Person p = person_of_form();
    const bool named = !p.name.empty();
    if (!named && !guess_.people.empty()) // whoever is likeliest
        for (const auto& q : people_)
            if (q.id == guess_.people.front().person) p = q;
    const Clip* last = nullptr;
    for (const auto& r : rows_) // newest first
        if (p.id != 0 && r.clip.person == p.id && !last) last = &r.clip;
    // The school as at that time, as long as nobody chose another.
    if (last && named && row_->clip.school.empty() && !school_chosen_)
        school_->setCurrentIndex(std::max(0, school_->findData(QString::fromStdString(last->school))));
    stills_->compare(row_->clip, last,
                     p.name.empty() ? tr("whose?")
                     : named        ? QString::fromStdString(p.name)
                                    : tr("%1?").arg(QString::fromStdString(p.name)));
}

/// Clips of the same person and movement: the one that heard the same is suggested, else one of the same day from another side.
void ClipForm::offer_pairs() {
    const QString had = pair_chosen_ ? pair_->currentData().toString() : QString();
    pair_->clear();
    pair_->addItem(tr("none"), QString());
    int suggested = 0;
    if (row_) {
        const Person p = person_of_form();
        const std::string movement = movement_->currentData().toString().toStdString();
        const std::string declared = view_->currentData().toString().toStdString(), view = !declared.empty()     ? declared
                                                                                           : guess_.view.empty() ? row_->clip.view
                                                                                                                 : guess_.view;
        for (const auto& r : rows_) {
            const Clip& c = r.clip;
            const bool ready = c.state == ClipState::tracked || c.state == ClipState::reviewed;
            const bool free = c.pair == 0 || c.pair == row_->clip.id;
            if (c.id == row_->clip.id || p.id == 0 || c.person != p.id || c.movement != movement || !ready || !free) continue;
            const auto v = view_from_name(c.view);
            pair_->addItem(tr("%1, %2").arg(v ? text::view(*v) : tr("as the clip shows"), text::day(c.filmed_on)), QString::number(c.id));
            const bool fits = c.filmed_on == row_->clip.filmed_on && c.view != view && !view.empty();
            const bool asked = row_->clip.state == ClipState::asked, heard = c.id == guess_.heard_with;
            if (c.id == row_->clip.pair || (asked && (heard || (fits && suggested == 0)))) suggested = pair_->count() - 1;
        }
    }
    const int kept = pair_->findData(had);
    pair_->setCurrentIndex(pair_chosen_ && kept >= 0 ? kept : suggested);
    pair_row_->setVisible(pair_->count() > 1);
}

/// Footwear and floor are asked where the movement pivots.
void ClipForm::offer_ground() {
    const auto m = session_.movement(movement_->currentData().toString().toStdString());
    ground_row_->setVisible(m && std::any_of(m->phases.begin(), m->phases.end(), [](const Phase& p) { return p.role == "pivot"; }));
}

/// Easier ways of the movement; until somebody says it, the one that its person is taught.
void ClipForm::offer_versions(const std::optional<std::string>& chosen) {
    const auto m = session_.movement(movement_->currentData().toString().toStdString());
    version_->clear();
    if (!chosen) version_->addItem(tr("as it is taught"));
    version_->addItem(tr("as it is"), QString());
    if (m)
        for (const auto& v : m->versions) version_->addItem(said(v.name), QString::fromStdString(v.name));
    version_->setCurrentIndex(chosen ? std::max(0, version_->findData(QString::fromStdString(*chosen))) : 0);
    version_->setVisible(m && !m->versions.empty());
}

void ClipForm::settle() {
    if (!row_) return take_->setEnabled(false);
    const bool named = !student_->currentText().trimmed().isEmpty(), moves = movement_->currentIndex() >= 0;
    switch (row_->clip.state) {
    case ClipState::asked:
        take_->setText(tr("That is right"));
        break;
    case ClipState::waiting:
        take_->setText(tr("Save"));
        break;
    case ClipState::failed:
        take_->setText(row_->clip.problem == "cancelled" ? tr("Look for the body again") : tr("Save and judge again"));
        break;
    case ClipState::tracked:
    case ClipState::reviewed:
        take_->setText(tr("Save and judge again"));
        break;
    }
    const bool again = row_->clip.state == ClipState::failed && row_->clip.problem == "cancelled";
    take_->setEnabled((named && moves) || (again && row_->clip.person == 0));
    take_->setToolTip(take_->isEnabled() ? QString() : tr("Say whose practice it is and which movement"));
}

Person ClipForm::person_of_form() const {
    const QString name = student_->currentText().trimmed();
    Person person;
    for (const auto& p : people_)
        if (QString::fromStdString(p.name).compare(name, Qt::CaseInsensitive) == 0) person = p;
    person.name = name.toStdString();
    person.height_said = height_said();
    if (person.height_said) person.stature_m = height_m();
    return person;
}

void ClipForm::focus_facts() {
    if (row_) movement_->setFocus();
}

void ClipForm::confirm(bool and_open) {
    if (!row_ || !take_->isEnabled()) return;
    const Person person = person_of_form();
    if (person.name.empty()) { // stopped before anything was said: looked for again
        session_.background->run<Result<bool>>(
            session_.jobs,
            [lib = session_.library, id = row_->clip.id](std::stop_token) { return lib->clips().set_state(id, ClipState::waiting, ""); },
            [session = &session_](const Result<bool>&) { session->workspace->touched(0); });
        return;
    }
    ClipRow after = *row_;
    after.person = person;
    after.clip.movement = movement_->currentData().toString().toStdString();
    const QVariant version = version_->currentData();
    after.clip.version = version.isValid() ? std::optional(version.toString().toStdString()) : std::nullopt;
    after.clip.view = view_->currentData().toString().toStdString();
    after.clip.school = school_->currentData().toString().toStdString();
    after.clip.mirrored = mirrored_->isChecked();
    after.clip.footwear = footwear_->currentData().toString().toStdString();
    after.clip.surface = surface_->currentData().toString().toStdString();
    after.clip.pair = pair_->currentData().toString().toLongLong();
    touched_ = false;
    take_->setEnabled(false);
    open_then_ = and_open ? row_->clip.id : 0;
    if (row_->clip.person != 0 && !row_->clip.movement.empty()) return emit facts_changed(*row_, after);
    judge_again(after.person, after.clip); // said for the first time: there is nothing to go back to
    if (!and_open) emit confirmed(row_->clip.id);
}

void ClipForm::judge_again(const Person& person, const Clip& changed) {
    notice_->say(tr("Judging …"));
    session_.background->run<Result<Looked>>(
        session_.jobs,
        [lib = session_.library, forms = session_.forms(), person, clip = changed](std::stop_token) {
            return judge_clip(*lib, forms, person, clip);
        },
        [form = QPointer<ClipForm>(this), session = &session_, person, changed](const Result<Looked>& word) {
            if (form && word) form->notice_->say(text::looked(*word));
            if (form && !word)
                form->notice_->problem(text::error(word.error()), tr("Try again"), [form, person, changed] {
                    if (form) form->judge_again(person, changed);
                });
            session->workspace->touched(changed.id);
            if (form && std::exchange(form->open_then_, 0) == changed.id && word)
                session->workspace->go(QStringLiteral("review"), {changed.id});
        });
}

} // namespace bevel::ui
