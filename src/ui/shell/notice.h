// What a place says for itself: a line of words, a problem among them with the way out as a button.
#pragma once
#include "ui/shell/session.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QStyle>

namespace bevel::ui {

class Notice : public QWidget {
    Q_OBJECT
public:
    explicit Notice(QWidget* parent = nullptr) : QWidget(parent), words_(new QLabel), go_(new QPushButton) {
        words_->setWordWrap(true);
        words_->setObjectName(QStringLiteral("faint"));
        words_->setTextInteractionFlags(Qt::TextSelectableByMouse);
        go_->setObjectName(QStringLiteral("wayOut"));
        go_->setFocusPolicy(Qt::TabFocus);
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(0, 0, 0, 0);
        row->addWidget(words_, 1);
        row->addWidget(go_, 0, Qt::AlignTop);
        go_->hide();
        hide();
        go_->setAccessibleName(tr("Way out"));
        connect(go_, &QPushButton::clicked, this, [this] {
            const auto way = way_;
            say({});
            if (way) way();
        });
    }
    QString text() const { return words_->text(); }
    void say(const QString& words) { show_it(words, false, {}, {}); }
    void problem(const QString& words, const QString& button = {}, std::function<void()> way = {}) {
        show_it(words, true, button, std::move(way));
    }

private:
    void show_it(const QString& words, bool problem, const QString& button, std::function<void()> way) {
        words_->setObjectName(problem ? QStringLiteral("problem") : QStringLiteral("faint"));
        words_->style()->unpolish(words_);
        words_->style()->polish(words_);
        words_->setText(words);
        way_ = std::move(way);
        go_->setText(button);
        go_->setAccessibleName(button.isEmpty() ? tr("Way out") : button);
        go_->setVisible(!button.isEmpty() && way_);
        setVisible(!words.isEmpty()); // nothing to say takes no room
    }
    QLabel* words_;
    QPushButton* go_;
    std::function<void()> way_;
};

} // namespace bevel::ui
