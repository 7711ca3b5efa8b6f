#include "ui/arrivals/clip_form.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/live_body.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDir>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QLineEdit>

namespace bevel::ui {
namespace {

const QStringList& endings() {
    static const QStringList all{"*.mp4", "*.mov", "*.webm", "*.mkv", "*.avi", "*.m4v"};
    return all;
}

/// Clips among files and in folders. Not on the interface thread: a folder may be on a slow disk.
QStringList clips_in(const QStringList& paths) {
    QStringList files;
    for (const QString& p : paths) {
        const QFileInfo info(p);
        if (info.isFile()) files << info.absoluteFilePath();
        if (!info.isDir()) continue;
        for (const auto& inside : QDir(p).entryInfoList(endings(), QDir::Files, QDir::Name)) files << inside.absoluteFilePath();
    }
    return files;
}

} // namespace

ClipForm::ClipForm(Session& session, QWidget* parent) : QFrame(parent), session_(session) {
    build();
}

double ClipForm::height_m() const {
    return height_->value() * (session_.settings.inches ? 0.0254 : 0.01);
}

void ClipForm::set_height(double metres) {
    height_->setValue(metres / (session_.settings.inches ? 0.0254 : 0.01));
}

void ClipForm::build() {
    setObjectName(QStringLiteral("card"));
    setFixedWidth(session_.theme.wide(340));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 14, 16, 14);
    auto* heading = new QLabel(tr("Take in a clip"));
    heading->setObjectName(QStringLiteral("heading"));
    file_label_ = new QLabel(tr("No file chosen yet."));
    file_label_->setWordWrap(true);
    choose_ = new QPushButton(tr("Choose a file …"));
    choose_->setObjectName(QStringLiteral("chooseFile"));
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
    height_->setRange(inches ? 35 : 90, inches ? 91 : 230);
    height_->setDecimals(inches ? 1 : 0);
    height_->setSuffix(inches ? tr(" in") : tr(" cm"));
    set_height(1.7);
    height_->setToolTip(tr("The student's own height gives the scale of the picture"));
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("movement"));
    movement_->setAccessibleName(tr("Movement"));
    for (const auto& m : session_.movements) movement_->addItem(said(m.name), QString::fromStdString(m.id));
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
    for (const auto& s : session_.schools) school_->addItem(said(s.name), QString::fromStdString(s.id));
    mirrored_ = new QCheckBox(tr("The picture is mirrored"));
    mirrored_->setObjectName(QStringLiteral("mirrored"));
    mirrored_->setToolTip(tr("A front camera often shows left and right swapped; it is undone before anything is measured"));
    take_ = new QPushButton(tr("Take in and find the body"));
    take_->setObjectName(QStringLiteral("primary"));
    take_->setEnabled(false);
    leave_ = new QPushButton(tr("Leave it as it is"));
    leave_->setObjectName(QStringLiteral("leave"));
    leave_->hide();
    connect(leave_, &QPushButton::clicked, this, [this] {
        empty_form();
        offer_next();
    });
    notice_ = new Notice;
    mirrored_->setChecked(session_.settings.mirrored);
    auto* form = new QFormLayout;
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(3);
    form->addRow(tr("Student"), student_);
    form->addRow(tr("Height"), height_);
    form->addRow(tr("Movement"), movement_);
    form->addRow(tr("Filmed from"), view_);
    form->addRow(tr("School"), school_);
    form->addRow(mirrored_);
    auto* privacy = new QLabel(tr("Clips stay on this computer."));
    privacy->setObjectName(QStringLiteral("faint"));
    for (QWidget* w : std::initializer_list<QWidget*>{heading, file_label_, choose_}) box->addWidget(w);
    box->addLayout(form);
    box->addSpacing(6);
    for (QWidget* w : std::initializer_list<QWidget*>{take_, leave_, notice_}) box->addWidget(w);
    live_ = new LiveBody(session_.theme);
    live_->setObjectName(QStringLiteral("live"));
    live_->hide();
    box->addWidget(live_, 2);
    box->addStretch(1);
    box->addWidget(privacy);
    connect(choose_, &QPushButton::clicked, this, &ClipForm::choose_files);
    connect(take_, &QPushButton::clicked, this, &ClipForm::take_in);
    connect(student_, &QComboBox::currentIndexChanged, this, [this](int i) {
        if (i >= 0 && i < static_cast<int>(people_.size())) set_height(people_[static_cast<std::size_t>(i)].stature_m);
    });
    connect(session_.finding, &FindingQueue::frame, this, [this](const NewestBody& newest) {
        live_->show();
        live_->show_body(newest.px);
    });
    connect(session_.finding, &FindingQueue::finished, this, [this](qint64, const QString& problem) {
        live_->hide();
        live_->show_body(std::nullopt);
        if (problem.isEmpty())
            notice_->say(tr("The body was found. The review is ready."));
        else
            notice_->problem(problem);
    });
}

void ClipForm::set_people(const std::vector<Person>& people) {
    people_ = people;
    const QString typed = student_->currentText();
    const QSignalBlocker quiet(student_);
    student_->clear();
    for (const auto& p : people_) student_->addItem(QString::fromStdString(p.name));
    student_->setCurrentText(typed);
}

void ClipForm::choose_files() {
    const QStringList files = QFileDialog::getOpenFileNames(this, tr("Choose clips"), QString(),
                                                            tr("Clips (%1);;All files (*)").arg(endings().join(QLatin1Char(' '))));
    if (!files.isEmpty()) offer(files);
}

void ClipForm::offer(const QStringList& paths) {
    session_.files().run<QStringList>(
        this, [paths](std::stop_token) { return clips_in(paths); }, [this](const QStringList& files) { offer_files(files); });
}

void ClipForm::offer_files(const QStringList& files) {
    if (files.isEmpty())
        return notice_->problem(tr("No clip in it: Bevel reads MP4, MOV, WebM, MKV, AVI and M4V."), tr("Choose another file …"),
                                [this] { choose_files(); });
    in_line_ << files;
    if (is_empty()) offer_next();
}

void ClipForm::show_file(const QString& file) {
    file_ = file;
    editing_.reset();
    leave_->hide();
    take_->setText(tr("Take in and find the body"));
    file_label_->setText(QFileInfo(file).fileName());
    take_->setEnabled(true);
    notice_->say(tr("Say who it is and which movement, then take it in."));
}

void ClipForm::offer_next() {
    if (in_line_.isEmpty()) return;
    const QString next = in_line_.takeFirst();
    show_file(next);
    if (in_line_.isEmpty()) return;
    file_label_->setText(tr("%1 (%n more after it)", nullptr, static_cast<int>(in_line_.size())).arg(QFileInfo(next).fileName()));
    leave_->setText(tr("Skip this one"));
    leave_->show();
}

void ClipForm::edit(const ClipRow& row) {
    editing_ = row;
    file_.clear();
    file_label_->setText(tr("Changing the clip of %1").arg(QString::fromStdString(row.person.name)));
    student_->setCurrentText(QString::fromStdString(row.person.name));
    set_height(row.person.stature_m);
    auto choose = [](QComboBox* box, const std::string& id) {
        box->setCurrentIndex(std::max(0, box->findData(QString::fromStdString(id))));
    };
    choose(movement_, row.clip.movement);
    choose(view_, row.clip.view);
    choose(school_, row.clip.school);
    mirrored_->setChecked(row.clip.mirrored);
    take_->setText(tr("Save and judge again"));
    leave_->setText(tr("Leave it as it is"));
    take_->setEnabled(true);
    leave_->show();
    movement_->setFocus();
    notice_->say({});
}

void ClipForm::empty_form(const QString& word) {
    editing_.reset();
    file_.clear();
    file_label_->setText(tr("No file chosen yet."));
    take_->setText(tr("Take in and find the body"));
    take_->setEnabled(false);
    mirrored_->setChecked(session_.settings.mirrored);
    leave_->hide();
    notice_->say(word);
}

Person ClipForm::person_of_form() const {
    const QString name = student_->currentText().trimmed();
    Person person;
    for (const auto& p : people_)
        if (QString::fromStdString(p.name).compare(name, Qt::CaseInsensitive) == 0) person = p;
    person.name = name.toStdString();
    person.stature_m = height_m();
    return person;
}

void ClipForm::take_in() {
    const Person person = person_of_form();
    if (person.name.empty()) {
        notice_->problem(tr("Say whose practice it is."));
        student_->setFocus();
        return;
    }
    Clip clip = editing_ ? editing_->clip : Clip{};
    clip.movement = movement_->currentData().toString().toStdString();
    clip.view = view_->currentData().toString().toStdString();
    clip.school = school_->currentData().toString().toStdString();
    clip.mirrored = mirrored_->isChecked();
    take_->setEnabled(false);
    if (editing_) return emit facts_changed(*editing_, {clip, person});
    clip.arrived_on = QDate::currentDate().toString(Qt::ISODate).toStdString();
    clip.filmed_on = QFileInfo(file_).lastModified().date().toString(Qt::ISODate).toStdString();
    notice_->say(tr("Copying the clip …"));
    auto stop = std::make_shared<std::stop_source>();
    const int job = session_.jobs->begin(JobKind::copying, QFileInfo(file_).fileName(), [stop] { stop->request_stop(); });
    auto progress = [jobs = QPointer<Jobs>(session_.jobs), lane = &session_.files(), job](double share) {
        lane->report(jobs.data(), [jobs, job, share] { jobs->progress(job, share); });
    };
    session_.files().run<Result<Taken>>(
        session_.jobs,
        [lib = session_.library, person, clip, file = file_.toStdString(), progress, stop,
         even_if_same = offered_again_ == file_](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            return take(*lib, person, clip, file, even_if_same, stop->get_token(), progress);
        },
        [form = QPointer<ClipForm>(this), session = &session_, job](const Result<Taken>& taken) {
            const bool cancelled = !taken && taken.error().code == Code::cancelled;
            session->jobs->end(job, taken ? JobOutcome::done : cancelled ? JobOutcome::cancelled : JobOutcome::failed);
            if (form) form->taken_in(taken, cancelled);
            if (taken && !taken->same) session->workspace->touched(0);
        });
}

void ClipForm::taken_in(const Result<Taken>& taken, bool cancelled) {
    if (taken && !taken->same) {
        empty_form(tr("Taken in."));
        offer_next();
        return;
    }
    take_->setEnabled(true);
    if (cancelled) return notice_->say(text::error(taken.error()));
    if (!taken) return notice_->problem(text::error(taken.error()), tr("Choose another file …"), [this] { choose_files(); });
    offered_again_ = file_;
    const QDate day = QDate::fromString(QString::fromStdString(taken->same->arrived_on), Qt::ISODate);
    notice_->problem(
        tr("This very clip was taken in on %1. Press once more to take it in again.").arg(QLocale().toString(day, QLocale::LongFormat)),
        tr("Open that one"), [this, id = taken->same->id] { session_.workspace->go(QStringLiteral("review"), {id}); });
}

void ClipForm::judge_again(const Person& person, const Clip& changed) {
    notice_->say(tr("Judging again …"));
    session_.background->run<Result<QString>>(
        this,
        [lib = session_.library, session = &session_, person, clip = changed](std::stop_token) {
            return judge(*lib, *session, person, clip);
        },
        [this, id = changed.id, person, changed](const Result<QString>& word) {
            if (word) {
                empty_form(*word);
                session_.workspace->touched(id);
                return;
            }
            notice_->problem(text::error(word.error()), tr("Try again"), [this, person, changed] { judge_again(person, changed); });
            take_->setEnabled(true);
        });
}

} // namespace bevel::ui
