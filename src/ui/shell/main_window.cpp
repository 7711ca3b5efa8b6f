#include "ui/shell/main_window.h"
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
#include <QToolButton>

namespace bevel::ui {

MainWindow::MainWindow(Session& session) : session_(session), stack_(new QStackedWidget), rail_(new QWidget) {
    setWindowTitle(tr("Bevel"));
    install_spoken();
    setAcceptDrops(true);
    resize(1280, 800);
    setMinimumSize(1024, 700);
    setStyleSheet(session_.theme.style_sheet());
    arrivals_ = new ArrivalsPage(session_);
    review_ = new ReviewPage(session_);
    letter_ = new LetterPage(session_);
    rail_->setFixedWidth(102);
    auto* column = new QVBoxLayout(rail_);
    column->setContentsMargins(0, 12, 0, 0);
    column->setSpacing(2);
    for (const Place& p : {Place{tr("Arrivals"), arrivals_}, Place{tr("Review"), review_}, Place{tr("Letter"), letter_}})
        add_place(p.title, p.page);
    column->addStretch(1);
    auto* middle = new QWidget;
    auto* row = new QHBoxLayout(middle);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(rail_);
    row->addWidget(stack_, 1);
    setCentralWidget(middle);
    if (session_.library->read_only()) {
        auto* word = new QLabel(text::error({Code::write_failed, "read_only"}));
        word->setObjectName(QStringLiteral("problem"));
        word->setWordWrap(true);
        word->setMargin(6);
        auto* both = new QWidget;
        auto* box = new QVBoxLayout(both);
        box->setContentsMargins(0, 0, 0, 0);
        box->addWidget(word);
        box->addWidget(takeCentralWidget(), 1);
        setCentralWidget(both);
    }
    build_actions();
    if (!session_.settings.window.isEmpty()) restoreGeometry(session_.settings.window);
    connect(arrivals_, &ArrivalsPage::open_review, this, &MainWindow::open_review);
    connect(arrivals_, &ArrivalsPage::wanted, this, [this] { show_place(0); });
    connect(review_, &ReviewPage::decided, arrivals_, &ArrivalsPage::refresh);
    connect(review_, &ReviewPage::to_arrivals, this, [this] { show_place(0); });
    connect(letter_, &LetterPage::to_review, this, [this] { show_place(1); });
    connect(review_, &ReviewPage::write_letter, this, [this] { show_place(2); });
    show_place(0);
}

void MainWindow::add_place(const QString& title, QWidget* page) {
    const auto i = static_cast<int>(places_.size());
    auto* b = new QToolButton;
    b->setText(title);
    b->setObjectName(QStringLiteral("place"));
    b->setAccessibleName(title);
    b->setToolTip(tr("%1 (Ctrl+%2)").arg(title).arg(i + 1));
    b->setCheckable(true);
    b->setAutoExclusive(true);
    b->setFocusPolicy(Qt::TabFocus);
    b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(b, &QToolButton::clicked, this, [this, i] { show_place(i); });
    rail_->layout()->addWidget(b);
    places_ << b;
    stack_->addWidget(page);
}

void MainWindow::build_actions() {
    using M = Actions::Menu;
    arrivals_->add_actions(actions_);
    actions_.separate();
    actions_.add(this, M::file, "quit", tr("Quit"), {QKeySequence(Qt::CTRL | Qt::Key_Q)}, [this] { close(); });
    review_->add_actions(actions_);
    actions_.separate();
    auto* themes = new QActionGroup(this);
    for (const auto& [choice, id, name] : {std::tuple{ThemeChoice::system, "themeSystem", tr("Colours of the system")},
                                           {ThemeChoice::light, "themeLight", tr("Light")},
                                           {ThemeChoice::dark, "themeDark", tr("Dark")}}) {
        auto* a = actions_.add(this, M::view, id, name, {}, [this, c = choice] { set_theme(c); });
        a->setCheckable(true);
        a->setChecked(session_.settings.theme == choice);
        themes->addAction(a);
    }
    for (int i = 0; i < places_.size(); ++i)
        actions_.add(this, M::go, "go", places_[i]->text(), {QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_1 + i))},
                     [this, i] { show_place(i); });
    actions_.add(this, M::help, "keys", tr("Keys"), {QKeySequence(Qt::Key_F1), QKeySequence(Qt::Key_Question)}, [this] { show_keys(); });
    actions_.add(this, M::help, "about", tr("About Bevel"), {}, [this] { show_about(); });
    actions_.fill(*menuBar());
}

void MainWindow::show_place(int index) {
    stack_->setCurrentIndex(index);
    places_[index]->setChecked(true);
    if (index == 1) review_->setFocus();
    if (index == 2 && review_->state().open) letter_->open_clip(review_->state().open->clip.id);
}

void MainWindow::open_review(qint64 clip) {
    review_->open_clip(clip);
    show_place(1);
}

void MainWindow::take(const QStringList& files) {
    setWindowState(windowState() & ~Qt::WindowMinimized);
    raise();
    activateWindow();
    if (files.isEmpty()) return;
    show_place(0);
    arrivals_->offer_all(files);
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
    session_.theme = Theme(dark);
    setStyleSheet(session_.theme.style_sheet());
    arrivals_->new_theme();
    review_->new_theme();
    for (auto* w : findChildren<QWidget*>()) w->update();
}

void MainWindow::show_keys() {
    auto* sheet = new ShortcutSheet(actions_, this);
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
    QMainWindow::closeEvent(e);
}

} // namespace bevel::ui
