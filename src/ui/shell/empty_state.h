// What a place shows while there is nothing in it: what to do, with the way there as a button; or what went wrong.
#pragma once
#include <QEvent>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace bevel::ui {

class EmptyState : public QWidget {
public:
    EmptyState(const QString& title, const QString& words, const QString& button) : usual_(words) {
        auto* head = new QLabel(title);
        head->setObjectName(QStringLiteral("heading"));
        words_ = new QLabel;
        words_->setObjectName(QStringLiteral("faint"));
        words_->setWordWrap(true);
        words_->setAlignment(Qt::AlignCenter);
        words_->setFixedWidth(460);
        go_ = new QPushButton(button);
        go_->setObjectName(QStringLiteral("emptyGo"));
        auto* box = new QVBoxLayout(this);
        box->addStretch(2);
        box->addWidget(head, 0, Qt::AlignCenter);
        box->addWidget(words_, 0, Qt::AlignCenter);
        box->addSpacing(8);
        box->addWidget(go_, 0, Qt::AlignCenter);
        box->addStretch(3);
        say({});
    }
    QPushButton* button() const { return go_; }
    /// Empty words: the usual ones.
    void say(const QString& words) {
        words_->setText(words.isEmpty() ? usual_ : words);
        fit();
    }

protected:
    void changeEvent(QEvent* e) override {
        QWidget::changeEvent(e);
        if (e->type() == QEvent::StyleChange || e->type() == QEvent::FontChange) fit();
    }
    void showEvent(QShowEvent* e) override {
        QWidget::showEvent(e);
        fit();
    }

private:
    /// A wrapped label in the middle of a layout is given the height of one line else.
    void fit() { words_->setMinimumHeight(words_->heightForWidth(words_->width())); }
    QString usual_;
    QLabel* words_;
    QPushButton* go_;
};

} // namespace bevel::ui
