// Own words with fields between them, each drawn as one piece with what it says now.
#pragma once
#include "ui/paint/fields.h"
#include <QTextEdit>
#include <QTextObjectInterface>

namespace bevel::ui {

class FieldEdit : public QTextEdit, public QTextObjectInterface {
    Q_OBJECT
    Q_INTERFACES(QTextObjectInterface)
public:
    explicit FieldEdit(const Theme& theme, QWidget* parent = nullptr);
    /// What fields say now. Without it they are shown by name.
    void set_source(const FieldSource& source);
    /// Text with its fields in braces.
    void set_words(const QString& words);
    QString words() const;
    void insert_field(const Field& field);
    void insert_text(const QString& words) { insert_words(textCursor(), words); } // in place of what is chosen

    QSizeF intrinsicSize(QTextDocument* doc, int position, const QTextFormat& format) override;
    void drawObject(QPainter* p, const QRectF& r, QTextDocument* doc, int position, const QTextFormat& format) override;

signals:
    void left(); // the focus went elsewhere

protected:
    QMimeData* createMimeDataFromSelection() const override;
    void insertFromMimeData(const QMimeData* source) override;
    bool canInsertFromMimeData(const QMimeData* source) const override;
    void focusOutEvent(QFocusEvent* e) override;
    bool event(QEvent* e) override; // tool tips of fields

private:
    void insert_words(QTextCursor at, const QString& words);
    QString words_of(QTextCursor selection) const;
    QString shown(const QTextFormat& f, bool& refused) const;

    const Theme& theme_;
    FieldSource source_;
};

} // namespace bevel::ui
