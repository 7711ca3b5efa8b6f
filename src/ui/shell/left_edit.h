// A field of several lines.
#pragma once
#include <QPlainTextEdit>

namespace bevel::ui {

/// Says when it is left, as a line edit does.
class LeftEdit : public QPlainTextEdit {
    Q_OBJECT
public:
    using QPlainTextEdit::QPlainTextEdit;
signals:
    void left();

protected:
    void focusOutEvent(QFocusEvent* e) override {
        QPlainTextEdit::focusOutEvent(e);
        emit left();
    }
};

} // namespace bevel::ui
