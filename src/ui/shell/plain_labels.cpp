#include "ui/shell/plain_labels.h"
#include <QAbstractItemView>
#include <QApplication>
#include <QComboBox>
#include <QEvent>
#include <QHelpEvent>
#include <QLabel>
#include <QPointer>
#include <QStyle>
#include <QStyleOptionComboBox>
#include <QToolTip>

namespace bevel::ui {
namespace {

/// Labels are polished before anything about them is measured or drawn, so that nothing in their text was looked for until then.
/// Tables let Tab go on to what comes after them: the arrows move within. And a box whose chosen words have no room says the whole of them
/// when the mouse rests on it.
class PlainLabels : public QObject {
public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Polish)
            if (auto* label = qobject_cast<QLabel*>(watched); label && label->textFormat() == Qt::AutoText)
                label->setTextFormat(Qt::PlainText);
        if (event->type() == QEvent::Polish)
            if (auto* view = qobject_cast<QAbstractItemView*>(watched)) view->setTabKeyNavigation(false);
        if (event->type() == QEvent::ToolTip)
            if (auto* box = qobject_cast<QComboBox*>(watched); box && !box->isEditable() && !fits(*box)) {
                const QString own = box->toolTip().isEmpty() ? QString() : QLatin1Char('\n') + box->toolTip();
                QToolTip::showText(static_cast<QHelpEvent*>(event)->globalPos(), (box->currentText() + own).toHtmlEscaped(), box);
                return true;
            }
        return QObject::eventFilter(watched, event);
    }

private:
    static bool fits(const QComboBox& box) {
        QStyleOptionComboBox option;
        option.initFrom(&box);
        option.editable = false;
        const int room = box.style()->subControlRect(QStyle::CC_ComboBox, &option, QStyle::SC_ComboBoxEditField, &box).width();
        return box.fontMetrics().horizontalAdvance(box.currentText()) <= room;
    }
};

} // namespace

void keep_labels_plain() {
    static QPointer<PlainLabels> filter;
    if (filter || !qApp) return;
    filter = new PlainLabels(qApp);
    qApp->installEventFilter(filter);
}

} // namespace bevel::ui
