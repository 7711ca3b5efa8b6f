// A part of a form that is seldom needed: a line that says what is set in words, and what sets it below when it is opened.
#pragma once
#include <functional>
#include <QToolButton>
#include <QVBoxLayout>
#include <QWidget>

namespace bevel::ui {

class Fold : public QWidget {
public:
    /// `value`: what is set now, in words.
    Fold(const QString& title, QLayout* content, std::function<QString()> value) : title_(title), value_(std::move(value)) {
        head_ = new QToolButton;
        head_->setObjectName(QStringLiteral("fold"));
        head_->setCheckable(true);
        head_->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
        head_->setArrowType(Qt::RightArrow);
        head_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed); // the words give way, not the form
        inside_ = new QWidget;
        inside_->setLayout(content);
        inside_->hide();
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 0, 0, 0);
        box->setSpacing(2);
        box->addWidget(head_);
        box->addWidget(inside_);
        connect(head_, &QToolButton::toggled, this, [this](bool on) {
            inside_->setVisible(on);
            head_->setArrowType(on ? Qt::DownArrow : Qt::RightArrow);
            refresh();
        });
        refresh();
    }
    void open(bool on) { head_->setChecked(on); }
    /// What is set may be another now.
    void refresh() {
        const QString words = QStringLiteral("%1: %2").arg(title_, value_());
        head_->setAccessibleName(words);
        head_->setToolTip(words.toHtmlEscaped());
        shown_ = head_->isChecked() ? title_ : words;
        fit();
    }

protected:
    void resizeEvent(QResizeEvent* e) override {
        QWidget::resizeEvent(e);
        fit();
    }

private:
    void fit() { head_->setText(head_->fontMetrics().elidedText(shown_, Qt::ElideRight, std::max(40, width() - 34))); }
    QString title_, shown_;
    std::function<QString()> value_;
    QToolButton* head_;
    QWidget* inside_;
};

} // namespace bevel::ui
