#include "app/main_window.h"
#include "ui/shell/done_line.h"
#include "ui/shell/fit_on_screen.h"
#include "ui/shell/help_window.h"
#include "ui/shell/jobs_bar.h"
#include "ui/shell/plain_labels.h"
#include "ui/shell/settings_dialog.h"
#include "ui/shell/shortcut_sheet.h"
#include <QActionGroup>
#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenuBar>
#include <QMessageBox>
#include <QMimeData>
#include <QStackedWidget>
#include <QTimer>
#include <QToolButton>

namespace bevel::ui {

MainWindow::MainWindow(Session& session) : session_(session), finding_(session), inbox_(session), evening_(session) {
    keep_labels_plain();
    session_.workspace = &workspace_;
    session_.jobs = &jobs_;
    session_.finding = &finding_;
    session_.inbox = &inbox_;
    session_.evening = &evening_;
    evening_.watch();
    setWindowTitle(tr("Bevel"));
    install_spoken();
    setAcceptDrops(true);
    resize(1280, 800);
    setMinimumSize(1024, 700);
    connect(&workspace_, &Workspace::settings_wanted, this, &MainWindow::show_settings);
    connect(&evening_, &Evening::nobody_waits, this, [this] { show_place(0); });
    connect(&workspace_, &Workspace::wanted, this, [this](const QString& id, Ref ref) {
        for (int i = 0; i < places_.size(); ++i)
            if (places_[i]->id() == id) show_place(i, ref);
    });
    build();
    if (!session_.settings.window.isEmpty()) restoreGeometry(session_.settings.window);
    show_place(0);
    inbox_.watch(session_.settings.inbox);
}

MainWindow::~MainWindow() {
    delete takeCentralWidget(); // the places leave before what they share
}

void MainWindow::build() {
    stack_ = new QStackedWidget;
    rail_ = new QWidget;
    session_.theme = Theme(session_.theme.palette.paper.lightnessF() < 0.5F, session_.settings.text_percent / 100.0);
    setStyleSheet(session_.theme.style_sheet());
    rail_->setFixedWidth(session_.theme.wide(102));
    auto* column = new QVBoxLayout(rail_);
    column->setContentsMargins(0, 12, 0, 0);
    column->setSpacing(2);
    done_ = new DoneLine;
    // The table of places.
    add_place(arrivals_ = new ArrivalsPage(session_));
    add_place(review_ = new ReviewPage(session_));
    add_place(letter_ = new LetterPage(session_));
    add_place(ground_ = new GroundPage(session_));
    add_place(people_ = new PeoplePage(session_));
    add_place(forms_ = new FormsPage(session_));
    add_place(practice_ = new PracticePage(session_));
    add_place(classes_ = new ClassesPage(session_));
    add_place(seeing_ = new SeeingPage(session_));
    connect(letter_, &LetterPage::exported, this, [this] { evening_.letter_saved(letter_->shown_clip()); });
    connect(review_, &ReviewPage::show_me, this, [this](const std::string& movement, const std::string& check, bool high) {
        show_place(place(QStringLiteral("forms")));
        forms_->show_finding(movement, check, high);
    });
    column->addStretch(1);
    column->addWidget(done_);
    auto* middle = new QWidget;
    auto* row = new QHBoxLayout;
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(rail_);
    row->addWidget(stack_, 1);
    auto* all = new QVBoxLayout(middle);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    if (session_.library->read_only()) {
        auto* word = new QLabel(text::error({Code::write_failed, "read_only"}));
        word->setObjectName(QStringLiteral("problem"));
        word->setWordWrap(true);
        word->setMargin(6);
        all->addWidget(word);
    } else if (const int odd = session_.library->dangling(); odd > 0) {
        auto* word = new QLabel(tr("%n record(s) of this library point to something that is not there; they are left as they are. A backup "
                                   "from before may be whole.",
                                   nullptr, odd));
        word->setObjectName(QStringLiteral("problem"));
        word->setWordWrap(true);
        word->setMargin(6);
        all->addWidget(word);
    }
    all->addLayout(row, 1);
    all->addWidget(new JobsBar(jobs_));
    setCentralWidget(middle);
    build_actions();
}

/// Words and sizes are set when a place is made: it is made again, and what was open is opened again.
void MainWindow::rebuild() {
    const int at = stack_->currentIndex();
    const qint64 clip = review_->state().open ? review_->state().open->clip.id : 0;
    const double time = review_->state().time();
    places_.clear();
    doors_.clear();
    delete takeCentralWidget();
    setMenuBar(new QMenuBar);
    build();
    const bool needs_review = at > 1; // they show what Review has open
    show_place(needs_review ? 1 : at);
    emit made_again();
    if (clip == 0) return;
    connect(
        review_, &ReviewPage::opened, this,
        [this, at, time] {
            review_->state().set_time(time);
            if (at > 1) show_place(at);
        },
        Qt::SingleShotConnection);
    review_->open_clip(clip);
}

void MainWindow::add_place(Place* place) {
    const auto i = static_cast<int>(places_.size());
    auto* b = new QToolButton;
    b->setText(place->title());
    b->setObjectName(QStringLiteral("place"));
    b->setAccessibleName(place->title());
    b->setToolTip(tr("%1 (Ctrl+%2)").arg(place->title()).arg(i + 1));
    b->setCheckable(true);
    b->setAutoExclusive(true);
    b->setFocusPolicy(Qt::TabFocus);
    b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(b, &QToolButton::clicked, this, [this, i] { show_place(i); });
    rail_->layout()->addWidget(b);
    places_ << place;
    doors_ << b;
    stack_->addWidget(place);
    place->setAccessibleName(place->title());
    undo_.addStack(&place->undo());
    done_->listen(place->undo());
}

void MainWindow::build_actions() {
    using M = Actions::Menu;
    actions_ = std::make_unique<Actions>();
    auto* undo = undo_.createUndoAction(actions_.get(), tr("Undo"));
    auto* redo = undo_.createRedoAction(actions_.get(), tr("Redo"));
    actions_->add(this, M::edit, undo, {QKeySequence::Undo});
    actions_->add(this, M::edit, redo, {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_Z), QKeySequence(Qt::CTRL | Qt::Key_Y)});
    for (auto* p : places_) p->add_actions(*actions_);
    actions_->separate();
    actions_->add(
        this, M::go, "nextWaiting", tr("The next clip that waits"), {QKeySequence(Qt::Key_F6)}, [this] { evening_.next(); },
        tr("Who waits longest first; the one that is open is left for later"));
    actions_->separate();
    actions_->add(this, M::file, "quit", tr("Quit"), {QKeySequence(Qt::CTRL | Qt::Key_Q)}, [this] { close(); });
    actions_->separate();
    actions_->add(this, M::edit, "settings", tr("Settings …"), {QKeySequence(Qt::CTRL | Qt::Key_Comma)}, [this] { show_settings(); });
    actions_->separate();
    auto* themes = new QActionGroup(actions_.get());
    for (const auto& [choice, id, name] : {std::tuple{ThemeChoice::system, "themeSystem", tr("Colours of the system")},
                                           {ThemeChoice::light, "themeLight", tr("Light")},
                                           {ThemeChoice::dark, "themeDark", tr("Dark")}}) {
        auto* a = actions_->add(this, M::view, id, name, {}, [this, c = choice] { set_theme(c); });
        a->setCheckable(true);
        a->setChecked(session_.settings.theme == choice);
        themes->addAction(a);
    }
    for (int i = 0; i < doors_.size(); ++i)
        actions_->add(this, M::go, "go", doors_[i]->text(), {QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_1 + i))},
                      [this, i] { show_place(i); });
    actions_->add(this, M::help, "help", tr("Measures, rules and marks"), {QKeySequence(Qt::SHIFT | Qt::Key_F1)}, [this] { show_help(); });
    actions_->add(this, M::help, "keys", tr("Keys"), {QKeySequence(Qt::Key_F1), QKeySequence(Qt::Key_Question)}, [this] { show_keys(); });
    actions_->add(this, M::help, "about", tr("About Bevel"), {}, [this] { show_about(); });
    actions_->fill(*menuBar());
}

void MainWindow::show_place(int index, Ref ref) {
    const int before = stack_->currentIndex();
    if (before != index && before >= 0 && before < places_.size()) places_[before]->leave();
    if (stack_->currentIndex() != index) done_->hide(); // it is of the place that is left
    stack_->setCurrentIndex(index);
    doors_[index]->setChecked(true);
    undo_.setActiveStack(&places_[index]->undo());
    places_[index]->open(ref);
}

int MainWindow::place(const QString& id) const {
    for (int i = 0; i < places_.size(); ++i)
        if (places_[i]->id() == id) return i;
    return -1;
}

void MainWindow::open_review(qint64 clip) {
    show_place(1, {clip});
}

void MainWindow::apply(const Settings& s) {
    const Settings was = std::exchange(session_.settings, s);
    if (s.theme != was.theme) set_theme(s.theme);
    if (s.inbox != was.inbox) inbox_.watch(s.inbox);
    if (s.language != was.language) speak(s.language);
    if (s.language != was.language || s.text_percent != was.text_percent || s.inches != was.inches || s.width != was.width ||
        s.mirrored != was.mirrored)
        rebuild();
}

void MainWindow::show_settings(const QString& field) {
    auto* dialog = new SettingsDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    // After the dialog has gone: it belongs to what is made again.
    connect(
        dialog, &SettingsDialog::chosen, this, [this](const Settings& s) { apply(s); }, Qt::QueuedConnection);
    dialog->open();
    if (auto* wanted = field.isEmpty() ? nullptr : dialog->findChild<QWidget*>(field)) wanted->setFocus();
}

void MainWindow::show_help() {
    auto* window = new HelpWindow(session_, this);
    window->setAttribute(Qt::WA_DeleteOnClose);
    window->show();
}

void MainWindow::take(const QStringList& files) {
    setWindowState(windowState() & ~Qt::WindowMinimized);
    raise();
    activateWindow();
    if (files.isEmpty()) return;
    show_place(0);
    inbox_.take(files);
}

void MainWindow::showEvent(QShowEvent* e) {
    QMainWindow::showEvent(e);
    if (!std::exchange(fitted_, true)) QTimer::singleShot(0, this, [this] { fit_on_screen(this); }); // the frame is there by then
}

// Clips may be dropped on any place.
void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
    if (e->mimeData()->hasUrls()) e->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* e) {
    QStringList paths;
    for (const QUrl& url : e->mimeData()->urls())
        if (url.isLocalFile()) paths << url.toLocalFile();
    if (paths.isEmpty()) return;
    e->acceptProposedAction();
    take(paths);
}

void MainWindow::set_theme(ThemeChoice choice) {
    session_.settings.theme = choice;
    const bool dark = choice == ThemeChoice::dark ||
                      (choice == ThemeChoice::system && QApplication::palette().color(QPalette::Window).lightnessF() < 0.5F);
    session_.theme = Theme(dark, session_.settings.text_percent / 100.0);
    setStyleSheet(session_.theme.style_sheet());
    for (auto* p : places_) p->new_theme();
    for (auto* w : findChildren<QWidget*>()) w->update();
    for (const auto& [is, id] :
         {std::pair{ThemeChoice::system, "themeSystem"}, {ThemeChoice::light, "themeLight"}, {ThemeChoice::dark, "themeDark"}})
        if (auto* a = actions_->find(id)) a->setChecked(is == choice);
}

void MainWindow::show_keys() {
    auto* sheet = new ShortcutSheet(*actions_, this);
    sheet->setAttribute(Qt::WA_DeleteOnClose);
    sheet->open();
}

void MainWindow::show_about() {
    auto* box = new QMessageBox(
        QMessageBox::NoIcon, tr("About Bevel"),
        tr("<b>Bevel %1</b><p>Measures practice of tai chi and qigong and holds it against the movement.</p>"
           "<p>GPL-3.0-or-later. Built on Qt, Eigen, FFmpeg, SQLite, XNNPACK, QPDF, libarchive, Nettle and Open Sans; "
           "the body is found with networks under the Apache License 2.0.</p>"
           "<p>Everything stays on this computer. %2</p>")
            .arg(QApplication::applicationVersion().toHtmlEscaped(), text::caution(QStringLiteral("general")).toHtmlEscaped()),
        QMessageBox::Close, this);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setTextFormat(Qt::RichText);
    box->open();
}

void MainWindow::closeEvent(QCloseEvent* e) {
    session_.settings.window = saveGeometry();
    for (auto* p : places_) p->leave(); // what was just typed is kept
    QMainWindow::closeEvent(e);
}

} // namespace bevel::ui
