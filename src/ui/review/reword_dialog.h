// A correction in the instructor's own words; what was said for the same thing before is offered.
#pragma once
#include "store/people.h"
#include <QDialog>

class QListWidget;
class QPlainTextEdit;

namespace bevel::ui {

class RewordDialog : public QDialog {
    Q_OBJECT
public:
    RewordDialog(const QString& now, const std::vector<Phrase>& before, QWidget* parent = nullptr);

signals:
    void said_so(const QString& words);

protected:
    bool eventFilter(QObject* of, QEvent* e) override;

private:
    void agree();

    QPlainTextEdit* words_ = nullptr;
    QListWidget* before_ = nullptr;
};

} // namespace bevel::ui
