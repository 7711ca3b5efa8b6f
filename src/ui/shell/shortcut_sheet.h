// All keys on one sheet, searchable.
#pragma once
#include "ui/shell/actions.h"
#include <QDialog>

class QTableWidget;

namespace bevel::ui {

class ShortcutSheet : public QDialog {
    Q_OBJECT
public:
    explicit ShortcutSheet(const Actions& actions, QWidget* parent = nullptr);

private:
    void fill(const QString& words);
    const Actions& actions_;
    QTableWidget* table_ = nullptr;
};

} // namespace bevel::ui
