#include "ui/arrivals/arrivals_page.h"
#include "core/review/review.h"
#include "ui/arrivals/live_body.h"
#include "ui/arrivals/taking_in.h"
#include "ui/review/review_state.h"
#include <chrono>
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDir>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QMessageBox>
#include <QMimeData>
#include <QProgressBar>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

namespace {
/// A question before something that cannot be undone.
bool ask(QWidget* parent, const QString& title, const QString& words, const QString& yes) {
    QMessageBox box(QMessageBox::Warning, title, words, QMessageBox::Cancel, parent);
    box.setObjectName(QStringLiteral("question"));
    auto* go = box.addButton(yes, QMessageBox::DestructiveRole);
    box.setDefaultButton(QMessageBox::Cancel);
    box.exec();
    return box.clickedButton() == go;
}
} // namespace

ArrivalsPage::ArrivalsPage(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setAcceptDrops(true);
    build();
    refresh();
}

ArrivalsPage::~ArrivalsPage() {
    if (stop_) stop_->request_stop();
}

void ArrivalsPage::build() {
    auto* title = new QLabel(tr("Arrivals"));
    title->setObjectName(QStringLiteral("title"));
    auto* hint = new QLabel(
        tr("Drop clips or folders anywhere. Film from the front or straight from a side, whole body and both feet in the picture."));
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    table_ = new QTableWidget(0, 5);
    table_->setObjectName(QStringLiteral("clips"));
    table_->setAccessibleName(tr("Clips"));
    table_->setHorizontalHeaderLabels({tr("Student"), tr("Movement"), tr("Filmed"), tr("On"), tr("State")});
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::Interactive);
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->horizontalHeader()->setHighlightSections(false);
    table_->setColumnWidth(0, 150);
    table_->setColumnWidth(1, 180);
    table_->setColumnWidth(2, 175);
    table_->setColumnWidth(3, 95);
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(34);
    table_->setShowGrid(false);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    open_ = new QPushButton(tr("Open the review"));
    open_->setObjectName(QStringLiteral("openReview"));
    open_->setEnabled(false);
    change_ = new QPushButton(tr("Change …"));
    change_->setObjectName(QStringLiteral("change"));
    change_->setToolTip(tr("Another student, movement, view or school for the chosen clip; it is judged again"));
    change_->setEnabled(false);
    detail_ = new QLabel;
    detail_->setObjectName(QStringLiteral("detail"));
    detail_->setWordWrap(true);
    detail_->setMinimumHeight(40);
    detail_->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    progress_ = new QProgressBar;
    progress_->setAccessibleName(tr("Progress of finding the body"));
    progress_->hide();
    progress_label_ = new QLabel;
    progress_label_->setObjectName(QStringLiteral("faint"));
    cancel_ = new QPushButton(tr("Stop"));
    cancel_->setObjectName(QStringLiteral("cancel"));
    cancel_->hide();
    auto* below = new QHBoxLayout;
    below->addWidget(open_);
    below->addWidget(change_);
    below->addSpacing(12);
    below->addWidget(progress_, 1);
    below->addWidget(progress_label_);
    below->addWidget(cancel_);
    below->addStretch(1);
    auto* left = new QVBoxLayout;
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("search"));
    search_->setAccessibleName(tr("Search by student, movement, date or state"));
    search_->setPlaceholderText(tr("Search: student, movement, date, state"));
    search_->setClearButtonEnabled(true);
    search_->setFixedWidth(320);
    connect(search_, &QLineEdit::textChanged, this, &ArrivalsPage::show_found);
    auto* top = new QHBoxLayout;
    top->addWidget(title, 1);
    top->addWidget(search_);
    left->addLayout(top);
    left->addWidget(hint);
    empty_ = new QLabel(tr("No clips yet.\n\nDrop a clip here, or choose a file on the right. Bevel finds the body on every "
                           "frame,\nmeasures it and holds it against the movement; then the clip waits here for your review."));
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setObjectName(QStringLiteral("faint"));
    empty_->hide();
    left->addWidget(empty_, 1);
    left->addWidget(table_, 1);
    left->addWidget(detail_);
    left->addLayout(below);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addLayout(left, 1);
    all->addWidget(build_form());
    auto open_row = [this] {
        if (const auto* r = chosen(); r && (r->clip.state == ClipState::tracked || r->clip.state == ClipState::reviewed))
            emit open_review(r->clip.id);
    };
    connect(open_, &QPushButton::clicked, this, open_row);
    connect(table_, &QTableWidget::cellActivated, this, open_row);
    connect(change_, &QPushButton::clicked, this, &ArrivalsPage::edit_chosen);
    connect(table_, &QTableWidget::itemSelectionChanged, this, &ArrivalsPage::show_chosen);
    connect(cancel_, &QPushButton::clicked, this, [this] {
        if (stop_) stop_->request_stop();
    });
}

QFrame* ArrivalsPage::build_form() {
    auto* card = new QFrame;
    card->setObjectName(QStringLiteral("card"));
    card->setFixedWidth(340);
    auto* box = new QVBoxLayout(card);
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
    height_->setRange(90, 230);
    height_->setDecimals(0);
    height_->setSuffix(tr(" cm"));
    height_->setValue(170);
    height_->setToolTip(tr("The student's own height gives the scale of the picture"));
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("movement"));
    movement_->setAccessibleName(tr("Movement"));
    for (const auto& m : session_.movements) movement_->addItem(QString::fromStdString(m.name), QString::fromStdString(m.id));
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
    for (const auto& s : session_.schools) school_->addItem(QString::fromStdString(s.name), QString::fromStdString(s.id));
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
    message_ = new QLabel;
    message_->setWordWrap(true);
    auto* form = new QFormLayout;
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
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
    for (QWidget* w : std::initializer_list<QWidget*>{take_, leave_, message_}) box->addWidget(w);
    live_ = new LiveBody(session_.theme);
    live_->setObjectName(QStringLiteral("live"));
    live_->hide();
    box->addWidget(live_, 2);
    box->addStretch(1);
    box->addWidget(privacy);
    connect(choose_, &QPushButton::clicked, this, &ArrivalsPage::choose_file);
    connect(take_, &QPushButton::clicked, this, &ArrivalsPage::take_in);
    connect(student_, &QComboBox::currentIndexChanged, this, [this](int i) {
        if (i >= 0 && i < static_cast<int>(people_.size())) height_->setValue(people_[static_cast<std::size_t>(i)].stature_m * 100);
    });
    return card;
}

void ArrivalsPage::choose_file() {
    const QStringList files = QFileDialog::getOpenFileNames(this, tr("Choose clips"), QString(),
                                                            tr("Clips (*.mp4 *.mov *.webm *.mkv *.avi *.m4v);;All files (*)"));
    if (!files.isEmpty()) offer_all(files);
}

void ArrivalsPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    QWidget* window = this->window();
    actions.add(window, M::file, "takeIn", tr("Take in a clip …"), {QKeySequence::Open}, [this] {
        emit wanted();
        choose_file();
    });
    actions.separate();
    actions.add(
        window, M::file, "backUp", tr("Back up the library …"), {}, [this] { back_up(); },
        tr("Everything in one file: people, clips, points, decisions, letters"));
    actions.add(window, M::file, "restore", tr("Restore a backup …"), {}, [this] { restore(); });
    actions.add(this, M::clip, "openReviewAction", tr("Open the review"), {QKeySequence(Qt::CTRL | Qt::Key_Return)},
                [this] { open_->click(); });
    actions.add(this, M::clip, "changeClip", tr("Change student, movement or view …"), {QKeySequence(Qt::Key_F2)},
                [this] { change_->click(); });
    actions.add(this, M::clip, "deleteClip", tr("Delete this clip …"), {QKeySequence::Delete}, [this] { delete_chosen(); });
    actions.add(
        this, M::clip, "erasePerson", tr("Erase this student …"), {}, [this] { erase_chosen(); },
        tr("Everything about this person: clips, points, decisions, agreements and letters"));
}

void ArrivalsPage::new_theme() {
    show_chosen();
    say(message_->text(), message_->objectName() == QLatin1String("problem"));
    refresh();
}

void ArrivalsPage::upkeep(const QString& what, std::function<Result<QString>(const std::stop_token&)> work) {
    say(what, false);
    Background& lane = session_.copies ? *session_.copies : *session_.background;
    lane.run<Result<QString>>(
        this, [work = std::move(work)](const std::stop_token& stop) { return work(stop); },
        [this](const Result<QString>& word) {
            say(word ? *word : text::error(word.error()), !word);
            refresh();
        });
}

void ArrivalsPage::delete_chosen() {
    const auto* r = chosen();
    if (!r) return;
    if (r->clip.id == running_) return say(tr("The body is being looked for in this clip. Stop that first."), true);
    if (!ask(this, tr("Delete this clip?"),
             tr("The clip of %1, its points and what was decided about it are deleted. Letters that were sent stay.")
                 .arg(QString::fromStdString(r->person.name)),
             tr("Delete")))
        return;
    upkeep(tr("Deleting …"), [lib = session_.library, id = r->clip.id](const std::stop_token&) -> Result<QString> {
        return lib->delete_clip(id).map([](bool) { return tr("Deleted."); });
    });
}

void ArrivalsPage::erase_chosen() {
    const auto* r = chosen();
    if (!r) return;
    if (running_ != 0) return say(tr("A body is being looked for. Stop that first."), true);
    const QString name = QString::fromStdString(r->person.name);
    if (!ask(this, tr("Erase %1?").arg(name),
             tr("All clips, points, decisions, agreements and letters of %1 are erased and overwritten. This cannot be undone.").arg(name),
             tr("Erase")))
        return;
    upkeep(tr("Erasing …"), [lib = session_.library, id = r->person.id, name](const std::stop_token&) -> Result<QString> {
        const auto gone = lib->erase_person(id);
        if (!gone) return tl::unexpected(gone.error());
        QString word = tr("%1 is erased: %2 clips, %3 letters.").arg(name).arg(gone->clips).arg(gone->letters);
        if (!gone->backups.empty()) {
            QStringList files;
            for (const auto& f : gone->backups) files << QString::fromStdString(f);
            word += QLatin1Char(' ') +
                    tr("These backups still hold them; delete them or make new ones: %1").arg(files.join(QStringLiteral(", ")));
        }
        return word;
    });
}

void ArrivalsPage::back_up() {
    const QString day = QDate::currentDate().toString(Qt::ISODate);
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Back up the library"), QStringLiteral("bevel-%1.tar").arg(day), tr("Backups (*.tar)"));
    if (file.isEmpty()) return;
    upkeep(tr("Backing up …"), [lib = session_.library, file, day](const std::stop_token& stop) -> Result<QString> {
        return lib->back_up_to(file.toStdString(), day.toStdString(), stop).map([&](bool) { return tr("Backed up: %1").arg(file); });
    });
}

void ArrivalsPage::restore() {
    const QString file = QFileDialog::getOpenFileName(this, tr("Choose a backup"), QString(), tr("Backups (*.tar)"));
    if (file.isEmpty()) return;
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Into which empty folder?"));
    if (folder.isEmpty()) return;
    upkeep(tr("Restoring …"), [file, folder](const std::stop_token& stop) -> Result<QString> {
        return Library::restore(file.toStdString(), folder.toStdString(), stop).map([&](bool) {
            return tr("Restored. Open it with: bevel %1").arg(folder);
        });
    });
}

const ClipRow* ArrivalsPage::chosen() const {
    const int r = table_->currentRow();
    return r >= 0 && r < static_cast<int>(rows_.size()) ? &rows_[static_cast<std::size_t>(r)] : nullptr;
}

void ArrivalsPage::show_found() {
    const QStringList words = search_->text().simplified().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    for (int r = 0; r < table_->rowCount(); ++r) {
        QStringList all;
        for (int c = 0; c < table_->columnCount(); ++c)
            if (const auto* cell = table_->item(r, c)) all << cell->text();
        const QString row = all.join(QLatin1Char(' '));
        table_->setRowHidden(
            r, !std::all_of(words.begin(), words.end(), [&](const QString& w) { return row.contains(w, Qt::CaseInsensitive); }));
    }
}

void ArrivalsPage::show_chosen() {
    const auto* r = chosen();
    open_->setEnabled(r && (r->clip.state == ClipState::tracked || r->clip.state == ClipState::reviewed));
    change_->setEnabled(r && r->clip.id != running_);
    QString about;
    if (r && r->clip.state == ClipState::failed) {
        about = text::reason(QString::fromStdString(r->clip.problem));
    } else if (r && r->clip.quality) {
        const auto& q = *r->clip.quality;
        QStringList parts{tr("Body found on %1 % of the frames").arg(QLocale().toString(100 * q.found, 'f', q.found < 0.9995 ? 1 : 0)),
                          tr("%1 frames/s").arg(QLocale().toString(q.frames_per_s, 'f', 0)),
                          q.vertical_seen ? tr("true vertical seen in the room")
                                          : tr("no upright edges seen: the camera is taken as level, and its error is larger"),
                          q.neutral_seen ? tr("quiet standing found") : tr("no quiet standing: figures that need it are left out")};
        about = parts.join(QStringLiteral(" · "));
    } else if (r && r->clip.state == ClipState::waiting) {
        about = r->clip.id == running_ ? tr("The body is being looked for on every frame.")
                                       : tr("Waiting for its turn: the body has not been looked for yet.");
    }
    detail_->setStyleSheet(
        QStringLiteral("color: %1;")
            .arg((r && r->clip.state == ClipState::failed ? session_.theme.palette.outside : session_.theme.palette.faint).name()));
    detail_->setText(about);
}

void ArrivalsPage::edit_chosen() {
    const auto* r = chosen();
    if (!r) return;
    editing_ = r->clip;
    file_.clear();
    file_label_->setText(tr("Changing the clip of %1").arg(QString::fromStdString(r->person.name)));
    student_->setCurrentText(QString::fromStdString(r->person.name));
    height_->setValue(r->person.stature_m * 100);
    auto choose = [](QComboBox* box, const std::string& id) {
        box->setCurrentIndex(std::max(0, box->findData(QString::fromStdString(id))));
    };
    choose(movement_, r->clip.movement);
    choose(view_, r->clip.view);
    choose(school_, r->clip.school);
    mirrored_->setChecked(r->clip.mirrored);
    take_->setText(tr("Save and judge again"));
    leave_->setText(tr("Leave it as it is"));
    take_->setEnabled(true);
    leave_->show();
    movement_->setFocus();
    say({}, false);
}

void ArrivalsPage::empty_form(const QString& word) {
    editing_.reset();
    file_.clear();
    file_label_->setText(tr("No file chosen yet."));
    take_->setText(tr("Take in and find the body"));
    take_->setEnabled(false);
    leave_->hide();
    say(word, false);
}

void ArrivalsPage::say(const QString& text, bool problem) {
    message_->setObjectName(problem ? QStringLiteral("problem") : QStringLiteral("faint"));
    message_->setStyleSheet(QStringLiteral("color: %1; background: transparent;")
                                .arg((problem ? session_.theme.palette.outside : session_.theme.palette.faint).name()));
    message_->setText(text);
}

void ArrivalsPage::refresh() {
    session_.background->run<Result<Listed>>(
        this, [lib = session_.library](std::stop_token) { return list(*lib); },
        [this](Result<Listed> l) {
            if (l)
                show_rows(std::move(l->rows), std::move(l->people));
            else
                say(text::error(l.error()), true);
        });
}

void ArrivalsPage::show_rows(std::vector<ClipRow> rows, std::vector<Person> people) {
    const qint64 chosen = table_->currentRow() >= 0 && table_->currentRow() < static_cast<int>(rows_.size())
                              ? rows_[static_cast<std::size_t>(table_->currentRow())].clip.id
                              : 0;
    rows_ = std::move(rows);
    people_ = std::move(people);
    table_->setRowCount(static_cast<int>(rows_.size()));
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const auto& r = rows_[i];
        const auto* m = session_.movement(r.clip.movement);
        const auto view = view_from_name(r.clip.view);
        QString state;
        QColor colour = session_.theme.palette.ink;
        switch (r.clip.state) {
        case ClipState::waiting:
            state = r.clip.id == running_ ? tr("finding the body …") : tr("waiting for its turn");
            colour = session_.theme.palette.faint;
            break;
        case ClipState::tracked:
            state = tr("to be reviewed");
            colour = session_.theme.palette.accent;
            break;
        case ClipState::reviewed:
            state = tr("reviewed");
            break;
        case ClipState::failed:
            state = r.clip.problem == "cancelled" ? tr("stopped") : tr("cannot be judged");
            colour = session_.theme.palette.outside;
            break;
        }
        const QDate date = QDate::fromString(QString::fromStdString(r.clip.filmed_on), Qt::ISODate);
        const QStringList cells{
            QString::fromStdString(r.person.name), m ? QString::fromStdString(m->name) : QString::fromStdString(r.clip.movement),
            view ? text::view(*view) : tr("as the clip shows"), QLocale().toString(date, QStringLiteral("d MMM yyyy")), state};
        for (int c = 0; c < cells.size(); ++c) {
            auto* item = new QTableWidgetItem(cells[c]);
            item->setToolTip(cells[c]);
            if (c == 4) item->setForeground(colour);
            table_->setItem(static_cast<int>(i), c, item);
        }
        if (r.clip.id == chosen) table_->selectRow(static_cast<int>(i));
    }
    if (table_->currentRow() < 0 && !rows_.empty()) table_->selectRow(0);
    show_found();
    search_->setVisible(!rows_.empty());
    empty_->setVisible(rows_.empty());
    table_->setVisible(!rows_.empty());
    show_chosen();
    const QString typed = student_->currentText();
    {
        const QSignalBlocker quiet(student_);
        student_->clear();
        for (const auto& p : people_) student_->addItem(QString::fromStdString(p.name));
        student_->setCurrentIndex(-1);
        student_->setCurrentText(typed);
    }
    start_next();
}

void ArrivalsPage::offer(const QString& file) {
    empty_form();
    file_ = file;
    file_label_->setText(QFileInfo(file).fileName());
    take_->setEnabled(true);
    say(tr("Say who it is and which movement, then take it in."), false);
}

void ArrivalsPage::offer_all(const QStringList& paths) {
    QStringList files;
    static const QStringList clips{"*.mp4", "*.mov", "*.webm", "*.mkv", "*.avi", "*.m4v"};
    for (const QString& p : paths) {
        const QFileInfo info(p);
        if (info.isFile()) files << info.absoluteFilePath();
        if (!info.isDir()) continue;
        for (const auto& inside : QDir(p).entryInfoList(clips, QDir::Files, QDir::Name)) files << inside.absoluteFilePath();
    }
    if (files.isEmpty()) return say(tr("No clip in it: Bevel reads MP4, MOV, WebM, MKV, AVI and M4V."), true);
    in_line_ << files;
    if (file_.isEmpty() && !editing_) offer_next();
}

void ArrivalsPage::offer_next() {
    if (in_line_.isEmpty()) return;
    const QString next = in_line_.takeFirst();
    offer(next);
    if (in_line_.isEmpty()) return;
    file_label_->setText(tr("%1 (%2 more after it)").arg(QFileInfo(next).fileName()).arg(in_line_.size()));
    leave_->setText(tr("Skip this one"));
    leave_->show();
}

void ArrivalsPage::dragEnterEvent(QDragEnterEvent* e) {
    if (e->mimeData()->hasUrls()) e->acceptProposedAction();
}

void ArrivalsPage::dropEvent(QDropEvent* e) {
    QStringList paths;
    for (const QUrl& url : e->mimeData()->urls())
        if (url.isLocalFile()) paths << url.toLocalFile();
    if (paths.isEmpty()) return;
    e->acceptProposedAction();
    offer_all(paths);
}

void ArrivalsPage::take_in() {
    const QString name = student_->currentText().trimmed();
    if (name.isEmpty()) {
        say(tr("Say whose practice it is."), true);
        student_->setFocus();
        return;
    }
    Person person;
    person.name = name.toStdString();
    person.stature_m = height_->value() / 100;
    for (const auto& p : people_)
        if (QString::fromStdString(p.name).compare(name, Qt::CaseInsensitive) == 0) {
            person.id = p.id;
            person.notes = p.notes;
        }
    Clip clip = editing_.value_or(Clip{});
    clip.movement = movement_->currentData().toString().toStdString();
    clip.view = view_->currentData().toString().toStdString();
    clip.school = school_->currentData().toString().toStdString();
    clip.mirrored = mirrored_->isChecked();
    take_->setEnabled(false);
    if (editing_) {
        say(tr("Judging again …"), false);
        judge_again(person, clip);
        return;
    }
    clip.arrived_on = QDate::currentDate().toString(Qt::ISODate).toStdString();
    clip.filmed_on = QFileInfo(file_).lastModified().date().toString(Qt::ISODate).toStdString();
    say(tr("Copying the clip …"), false);
    Background& lane = session_.copies ? *session_.copies : *session_.background;
    auto progress = [page = QPointer<ArrivalsPage>(this), lane = &lane](double share) {
        lane->report(page.data(), [page, share] { page->say(tr("Copying the clip … %1 %").arg(static_cast<int>(share * 100)), false); });
    };
    lane.run<Result<Taken>>(
        this,
        [lib = session_.library, person, clip, file = file_.toStdString(), progress, even_if_same = offered_again_ == file_](
            const std::stop_token& stop) { return take(*lib, person, clip, file, even_if_same, stop, progress); },
        [this](const Result<Taken>& taken) {
            if (taken && !taken->same) {
                empty_form(tr("Taken in."));
                refresh();
                offer_next();
                return;
            }
            take_->setEnabled(true);
            if (!taken) return say(text::error(taken.error()), true);
            offered_again_ = file_;
            const QDate day = QDate::fromString(QString::fromStdString(taken->same->arrived_on), Qt::ISODate);
            say(tr("This very clip was taken in on %1. Press once more to take it in again.")
                    .arg(QLocale().toString(day, QLocale::LongFormat)),
                true);
        });
}

void ArrivalsPage::judge_again(const Person& person, const Clip& changed) {
    session_.background->run<Result<QString>>(
        this,
        [lib = session_.library, session = &session_, person, clip = changed](std::stop_token) {
            return judge(*lib, *session, person, clip);
        },
        [this](const Result<QString>& word) {
            if (word) {
                empty_form(*word);
                refresh();
                return;
            }
            say(text::error(word.error()), true);
            take_->setEnabled(true);
        });
}

void ArrivalsPage::start_next() {
    if (running_ != 0) return;
    for (auto it = rows_.rbegin(); it != rows_.rend(); ++it) {
        if (it->clip.state != ClipState::waiting) continue;
        running_ = it->clip.id;
        stop_ = std::make_shared<std::stop_source>();
        progress_->setRange(0, 0);
        progress_->show();
        cancel_->show();
        progress_label_->setText(tr("reading …"));
        const auto row = static_cast<int>(std::distance(it, rows_.rend())) - 1;
        if (auto* state = table_->item(row, 4)) state->setText(tr("finding the body …"));
        show_chosen();
        const Movement* movement = session_.movement(it->clip.movement);
        FindOrder order{it->clip, it->person, movement ? std::optional(*movement) : std::nullopt, {}};
        order.options.model_dir = session_.model_dir;
        const auto began = std::chrono::steady_clock::now();
        order.options.progress = [page = QPointer<ArrivalsPage>(this), finder = session_.finder, began](std::size_t done, std::size_t total,
                                                                                                        const std::optional<BodyPx>& body) {
            if (done % 5 != 0 && done != total) return;
            const double s = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
            const double rate = s > 0 ? static_cast<double>(done) / s : 0;
            finder->report(page.data(), [page, done, total, rate, body] { page->show_progress(done, total, rate, body); });
        };
        session_.finder->run<QString>(
            this,
            [lib = session_.library, session = &session_, order, stop = stop_](const std::stop_token& quit) {
                const std::stop_callback forward(quit, [&] { stop->request_stop(); });
                if (quit.stop_requested()) return QString(); // it goes on at the next start
                return find_body(*lib, *session, order, stop->get_token());
            },
            [this](const QString& problem) { finished(problem); });
        return;
    }
}

void ArrivalsPage::show_progress(std::size_t done, std::size_t total, double rate, const std::optional<BodyPx>& body) {
    if (running_ == 0) return;
    progress_->setRange(0, static_cast<int>(total));
    progress_->setValue(static_cast<int>(done));
    const double left = rate > 0 ? static_cast<double>(total - done) / rate : 0;
    progress_label_->setText(tr("%1 frames/s · %2 s left").arg(rate, 0, 'f', 0).arg(left, 0, 'f', 0));
    live_->show();
    live_->show_body(body);
}

void ArrivalsPage::finished(const QString& problem) {
    running_ = 0;
    live_->hide();
    live_->show_body(std::nullopt);
    progress_->hide();
    cancel_->hide();
    progress_label_->clear();
    say(problem.isEmpty() ? tr("The body was found. The review is ready.") : problem, !problem.isEmpty());
    refresh();
}

} // namespace bevel::ui
