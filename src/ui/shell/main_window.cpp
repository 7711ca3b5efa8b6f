#include "ui/shell/main_window.h"
#include <QButtonGroup>
#include <QHBoxLayout>
#include <QShortcut>
#include <QStackedWidget>
#include <QToolButton>

namespace bevel::ui {

MainWindow::MainWindow(Session& session) : session_(session), stack_(new QStackedWidget) {
    setWindowTitle(tr("Bevel"));
    resize(1280, 800);
    setMinimumSize(1024, 700);
    setStyleSheet(session_.theme.style_sheet());
    arrivals_ = new ArrivalsPage(session_);
    review_ = new ReviewPage(session_);
    letter_ = new LetterPage(session_);
    auto* rail = new QWidget;
    rail->setFixedWidth(102);
    auto* column = new QVBoxLayout(rail);
    column->setContentsMargins(0, 12, 0, 0);
    column->setSpacing(2);
    auto* group = new QButtonGroup(this);
    const QList<QPair<QString, QWidget*>> all{{tr("Arrivals"), arrivals_}, {tr("Review"), review_}, {tr("Letter"), letter_}};
    for (int i = 0; i < all.size(); ++i) {
        auto* b = new QToolButton;
        b->setText(all[i].first);
        b->setObjectName(QStringLiteral("place"));
        b->setAccessibleName(all[i].first);
        b->setToolTip(tr("%1 (Ctrl+%2)").arg(all[i].first).arg(i + 1));
        b->setCheckable(true);
        b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        group->addButton(b, i);
        column->addWidget(b);
        places_ << b;
        stack_->addWidget(all[i].second);
        auto* key = new QShortcut(QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_1 + i)), this);
        connect(key, &QShortcut::activated, this, [this, i] { show_place(i); });
    }
    column->addStretch(1);
    auto* middle = new QWidget;
    auto* row = new QHBoxLayout(middle);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(rail);
    row->addWidget(stack_, 1);
    setCentralWidget(middle);
    connect(group, &QButtonGroup::idClicked, this, &MainWindow::show_place);
    connect(arrivals_, &ArrivalsPage::open_review, this, &MainWindow::open_review);
    connect(review_, &ReviewPage::decided, arrivals_, &ArrivalsPage::refresh);
    connect(review_, &ReviewPage::write_letter, this, [this] { show_place(2); });
    show_place(0);
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

} // namespace bevel::ui
