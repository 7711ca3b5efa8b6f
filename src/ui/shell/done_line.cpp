#include "ui/shell/done_line.h"
#include <memory>
#include <QVBoxLayout>

namespace bevel::ui {

DoneLine::DoneLine(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("doneLine"));
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("doneWords"));
    words_->setWordWrap(true);
    undo_ = new QToolButton;
    undo_->setText(tr("Undo"));
    undo_->setObjectName(QStringLiteral("doneUndo"));
    undo_->setStyleSheet(QStringLiteral("QToolButton { padding: 4px 3px; }")); // the doors are narrow
    undo_->setFocusPolicy(Qt::NoFocus);                                        // Ctrl+Z is its key
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(4, 0, 4, 12);
    box->setSpacing(6);
    box->addWidget(words_);
    box->addWidget(undo_);
    hide();
    goes_.setSingleShot(true);
    goes_.setObjectName(QStringLiteral("doneGoes"));
    goes_.setInterval(stays_ms);
    connect(&goes_, &QTimer::timeout, this, &QWidget::hide);
    connect(undo_, &QToolButton::clicked, this, [this] {
        if (of_ && of_->index() == at_ && of_->canUndo()) of_->undo();
        hide();
    });
}

void DoneLine::listen(QUndoStack& steps) {
    auto before = std::make_shared<int>(steps.index());
    connect(&steps, &QUndoStack::indexChanged, this, [this, &steps, before](int now) {
        const int was = std::exchange(*before, now);
        if (now > was && now == steps.count()) return say(steps); // a new one, or the last one once more
        if (of_ == &steps) hide();
    });
}

void DoneLine::say(QUndoStack& steps) {
    const QString what = steps.undoText();
    if (what.isEmpty()) return hide();
    of_ = &steps;
    at_ = steps.index();
    words_->setText(tr("Done: %1").arg(what));
    // As high as its words are in this width: the layout it stands in asks only for the least.
    if (const auto* rail = parentWidget()) words_->setMinimumHeight(words_->heightForWidth(std::max(40, rail->width() - 8)));
    show();
    goes_.start();
}

} // namespace bevel::ui
