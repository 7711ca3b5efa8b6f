// A field of several lines, for whatever is typed.
#pragma once
#include <QMimeData>
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
    /// Qt 6.4 reads the first format of what is pasted, which an empty clipboard has not: the program would end.
    void insertFromMimeData(const QMimeData* pasted) override {
        if (pasted && !pasted->formats().isEmpty()) QPlainTextEdit::insertFromMimeData(pasted);
    }
};

} // namespace bevel::ui
