#include "ui/review/reword_dialog.h"
#include "ui/shell/left_edit.h"
#include <QDialogButtonBox>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

RewordDialog::RewordDialog(const QString& now, const std::vector<Phrase>& before, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("rewordDialog"));
    setWindowTitle(tr("In your own words"));
    resize(520, before.empty() ? 220 : 360);
    auto* ask = new QLabel(tr("What should the student do?"));
    words_ = new LeftEdit(now);
    words_->setObjectName(QStringLiteral("rewordWords"));
    words_->setAccessibleName(ask->text());
    words_->setTabChangesFocus(true);
    words_->setToolTip(tr("Ctrl+Enter agrees"));
    words_->selectAll();
    words_->installEventFilter(this);
    auto* box = new QVBoxLayout(this);
    box->addWidget(ask);
    box->addWidget(words_, 1);
    before_ = new QListWidget;
    before_->setObjectName(QStringLiteral("rewordBefore"));
    before_->setAccessibleName(tr("What you said before"));
    before_->setWordWrap(true);
    for (const auto& p : before) before_->addItem(QString::fromStdString(p.words));
    if (!before.empty()) {
        auto* heading = new QLabel(tr("What you said before (down arrow, Enter):"));
        heading->setObjectName(QStringLiteral("faint"));
        box->addWidget(heading);
        box->addWidget(before_, 1);
    } else {
        before_->setParent(this);
        before_->hide();
    }
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &RewordDialog::agree);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(before_, &QListWidget::itemActivated, this, [this](QListWidgetItem* it) {
        words_->setPlainText(it->text());
        agree();
    });
    words_->setFocus();
}

void RewordDialog::agree() {
    emit said_so(words_->toPlainText().trimmed());
    accept();
}

bool RewordDialog::eventFilter(QObject* of, QEvent* e) {
    if (of == words_ && e->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(e);
        if ((key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter) && (key->modifiers() & Qt::ControlModifier)) {
            agree();
            return true;
        }
        if (key->key() == Qt::Key_Down && before_->isVisible() &&
            (words_->textCursor().hasSelection() || words_->textCursor().blockNumber() == words_->blockCount() - 1)) {
            before_->setFocus();
            before_->setCurrentRow(0);
            return true;
        }
    }
    return QDialog::eventFilter(of, e);
}

} // namespace bevel::ui
