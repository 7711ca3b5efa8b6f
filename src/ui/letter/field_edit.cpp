#include "ui/letter/field_edit.h"
#include <QAbstractTextDocumentLayout>
#include <QHelpEvent>
#include <QMimeData>
#include <QPainter>
#include <QRegularExpression>
#include <QTextBlock>
#include <QToolTip>

namespace bevel::ui {
namespace {
constexpr int kind = QTextFormat::UserObject + 1;
constexpr int raw = QTextFormat::UserProperty + 1;
} // namespace

FieldEdit::FieldEdit(const Theme& theme, QWidget* parent) : QTextEdit(parent), theme_(theme) {
    setAcceptRichText(false);
    setTabChangesFocus(true);
    document()->documentLayout()->registerHandler(kind, this);
}

void FieldEdit::set_source(const FieldSource& source) {
    source_ = source;
    document()->markContentsDirty(0, document()->characterCount());
    viewport()->update();
}

QString FieldEdit::shown(const QTextFormat& f, bool& refused) const {
    const auto field = field_of(f.property(raw).toString().mid(1).chopped(1));
    refused = !field;
    if (!field) return f.property(raw).toString();
    if (!source_.review) return field_name(*field, source_);
    const auto value = filled(*field, source_);
    refused = !value;
    return value ? *value : field_name(*field, source_);
}

QSizeF FieldEdit::intrinsicSize(QTextDocument*, int, const QTextFormat& f) {
    bool refused = false;
    const QFontMetricsF m(font());
    return {m.horizontalAdvance(shown(f, refused)) + 10, m.height()};
}

void FieldEdit::drawObject(QPainter* p, const QRectF& r, QTextDocument*, int, const QTextFormat& f) {
    bool refused = false;
    const QString words = shown(f, refused);
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    const QColor ink = refused ? theme_.palette.outside : theme_.palette.accent;
    QColor ground = ink;
    ground.setAlphaF(0.12F);
    p->setPen(Qt::NoPen);
    p->setBrush(ground);
    p->drawRoundedRect(r.adjusted(1, 0, -1, 0), 3, 3);
    p->setPen(ink);
    p->setFont(font());
    p->drawText(r, Qt::AlignCenter, words);
    if (refused) p->drawLine(QPointF(r.left() + 4, r.center().y()), QPointF(r.right() - 4, r.center().y())); // not by colour alone
    p->restore();
}

void FieldEdit::insert_words(QTextCursor at, const QString& words) {
    static const QRegularExpression braces(QStringLiteral("\\{[^{}]{1,200}\\}"));
    at.beginEditBlock();
    at.removeSelectedText();
    qsizetype from = 0;
    for (auto it = braces.globalMatch(words); it.hasNext();) {
        const auto m = it.next();
        if (!field_of(m.captured().mid(1).chopped(1))) continue;
        at.insertText(words.mid(from, m.capturedStart() - from), QTextCharFormat());
        from = m.capturedEnd();
        QTextCharFormat f;
        f.setObjectType(kind);
        f.setProperty(raw, m.captured());
        at.insertText(QString(QChar::ObjectReplacementCharacter), f);
    }
    at.insertText(words.mid(from), QTextCharFormat());
    at.endEditBlock();
    setCurrentCharFormat(QTextCharFormat());
}

void FieldEdit::set_words(const QString& words) {
    clear();
    insert_words(textCursor(), words);
    document()->clearUndoRedoStacks();
}

void FieldEdit::insert_field(const Field& field) {
    insert_words(textCursor(), field.text());
    setFocus();
}

QString FieldEdit::words_of(QTextCursor c) const {
    const int from = c.selectionStart(), to = c.selectionEnd();
    QString out;
    for (QTextBlock b = document()->findBlock(from); b.isValid() && b.position() < to; b = b.next()) {
        for (auto it = b.begin(); !it.atEnd(); ++it) {
            const QTextFragment part = it.fragment();
            const int a = std::max(from, part.position()), e = std::min(to, part.position() + part.length());
            if (a >= e) continue;
            if (part.charFormat().objectType() == kind)
                for (int i = a; i < e; ++i) out += part.charFormat().property(raw).toString();
            else
                out += part.text().mid(a - part.position(), e - a);
        }
        if (b.position() + b.length() <= to && b.next().isValid()) out += QLatin1Char('\n');
    }
    return out.replace(QChar::LineSeparator, QLatin1Char('\n'));
}

QString FieldEdit::words() const {
    QTextCursor all(document());
    all.select(QTextCursor::Document);
    return words_of(all);
}

QMimeData* FieldEdit::createMimeDataFromSelection() const {
    auto* mime = new QMimeData;
    mime->setText(words_of(textCursor()));
    return mime;
}

bool FieldEdit::canInsertFromMimeData(const QMimeData* source) const {
    return source->hasText();
}

void FieldEdit::insertFromMimeData(const QMimeData* source) {
    insert_words(textCursor(), source->text());
}

void FieldEdit::focusOutEvent(QFocusEvent* e) {
    QTextEdit::focusOutEvent(e);
    emit left();
}

bool FieldEdit::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        QTextCursor c = cursorForPosition(help->pos());
        c.movePosition(QTextCursor::NextCharacter);
        const auto f = c.charFormat();
        const auto field = f.objectType() == kind ? field_of(f.property(raw).toString().mid(1).chopped(1)) : std::nullopt;
        if (field) {
            const auto value = filled(*field, source_);
            QToolTip::showText(help->globalPos(), value ? field_name(*field, source_) : text::error(value.error()), this);
            return true;
        }
    }
    return QTextEdit::event(e);
}

} // namespace bevel::ui
