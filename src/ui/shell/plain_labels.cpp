#include "ui/shell/plain_labels.h"
#include <QApplication>
#include <QEvent>
#include <QLabel>
#include <QPointer>

namespace bevel::ui {
namespace {

/// Labels are polished before anything about them is measured or drawn, so that nothing in their text was looked for until then.
class PlainLabels : public QObject {
public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Polish)
            if (auto* label = qobject_cast<QLabel*>(watched); label && label->textFormat() == Qt::AutoText)
                label->setTextFormat(Qt::PlainText);
        return QObject::eventFilter(watched, event);
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
